"""One pixel's account: every fragment that reached it, in the order set and in exact order.

The polygons are drawn one by one by the very kernels that draw the picture, into that pixel alone; what each
leaves is read off. So the last line is the picture's pixel, bit for bit.
"""

from collections.abc import Callable, Collection
from dataclasses import replace
from functools import partial

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.lazy import Lazy
from mivex.core.base.messages import term
from mivex.core.base.types import Floats
from mivex.core.pixels.blends import BLENDS, GROUPS
from mivex.core.pixels.mips import MipChain, build_chain
from mivex.core.stage.buffers import NO_SURFACES, PICTURE, Buffers, frame_record, sink_of
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.exact import SORTED, drawn_apart, in_lists, lay_lists
from mivex.core.stage.lighting import Shadows, light_record, shadows_for
from mivex.core.stage.lights import Lighting
from mivex.core.stage.passes import RenderPlan, lay_solids, run
from mivex.core.stage.pixel_history import DRAWN, HIDDEN, FragmentRecord, PixelHistory, rgba_of
from mivex.core.stage.transmission import behind_chain

_paint = Lazy("mivex.core.stage.kernels.paint")
_shade = Lazy("mivex.core.stage.kernels.shade")
_settle = Lazy("mivex.core.stage.kernels.settle")
_merge = Lazy("mivex.core.pixels.kernels.merge")

HELD = 8
"""Pictures of what lies behind refracting things that a book keeps."""


class _Pixel:
    """A pixel of a shot, and the machinery to draw into it alone."""

    def __init__(
        self,
        shot: RenderPlan,
        lighting: Lighting,
        shadows: Shadows | None,
        x: int,
        y: int,
        behind: Callable[[int], MipChain],
    ) -> None:
        self.shot, self.x, self.y, self._behind = shot, x, y, behind
        self.buffers = Buffers.of(shot.view)  # only one pixel of it is ever touched
        self.scene = np.empty_like(self.buffers.depth)
        self.display = int(lighting.blending == "display")
        self.frame = frame_record(shot.view, self.buffers, lighting, self.scene)
        self.light, self.held = light_record(lighting, shadows, shot.lamps)
        self.surfaces = np.empty((1, shot.view.width, 16), np.float32) if shot.lit_surfaces else NO_SURFACES
        _paint.clear(self.frame, self._where(0, 0), self.surfaces)
        self.scene[y, x] = 0
        p = shot.polys[: shot.count]
        self.near = np.flatnonzero((p["top"] <= y + 1) & (p["bottom"] >= y) & (p["left"] <= x + 1) & (p["right"] >= x))

    def _where(self, first: int, last: int) -> Floats:
        return np.array([self.y, self.y + 1, self.x, self.x + 1, first, last], np.int64)

    @property
    def colour(self) -> Floats:
        return self.buffers.colour[self.y, self.x]

    def look_through(self, p: int) -> None:
        """Have at hand what polygon ``p`` sees behind it, where it refracts."""
        for step in self.shot.plan if self.shot.reads else ():
            if step.reads and step.first <= p < step.last:
                self.frame["behind"] = self._behind(step.first).record.ctypes.data

    def probe(self, p: int, mode: int) -> tuple[Floats, int] | None:
        """What polygon ``p`` brings to the pixel: source, u, v, level, 1/w, and its verdict; None: nothing."""
        sink = sink_of(mode, self.y, 1, self.shot.view.width, 1)
        _paint.paint(
            self.frame, self.light, self.shot.records.draws, self.shot.polys, self._where(p, p + 1), NO_SURFACES, sink
        )
        return (sink[4][0], int(sink[3][0, 2])) if sink[5][0] else None

    def draw(self, p: int, *, deferred: bool) -> None:
        """Draw polygon ``p`` as the picture does."""
        where = self._where(p, p + 1)
        deferred = deferred and bool(self.surfaces.size)
        _paint.paint(
            self.frame,
            self.light,
            self.shot.records.draws,
            self.shot.polys,
            where,
            self.surfaces if deferred else NO_SURFACES,
            PICTURE,
        )
        if deferred:
            self.light_up()

    def light_up(self) -> None:
        if self.surfaces.size:
            _shade.light_up(self.frame, self.light, self._where(0, 0), self.surfaces)

    def solids_done(self) -> None:
        """What is solid is known: it is lit, and see-through things meet it."""
        self.light_up()
        self.scene[self.y, self.x] = self.buffers.depth[self.y, self.x]
        lay_solids(self.shot, self.shot.later_solids(), self.frame, self.scene, (self.y, self.y + 1, self.x, self.x + 1))


def _called(what: DrawCall | FragmentRecord) -> str:
    """A name to be put into a sentence: a part of the surroundings is called in the language in use."""
    return what.name if what.owner else term(what.name)


def _line(
    shot: RenderPlan, draw: DrawCall, face: int, facts: Floats, code: int, by: str, after: Floats, *, wrote: bool
) -> FragmentRecord:
    m = draw.material
    iw = max(float(facts[7]), 1e-9)
    return FragmentRecord(
        draw.name,
        draw.owner,
        draw.part,
        face,
        GROUPS[draw.order[0]],
        draw.order[1] if draw.moving else m.nudge,  # a part of an effect may have a nudge of its own
        m.blend,
        1 / iw + float(shot.polys[face]["bias"]),
        (float(facts[4]), float(facts[5])),
        float(facts[6]),
        rgba_of(facts[:4]),
        BLENDS[m.blend].colour_factors,
        code,
        by,
        (),
        wrote,
        rgba_of(after),
    )


def _set_lines(pixel: _Pixel, draws: list[DrawCall], off: Collection[int], *, whole: bool = True) -> list[FragmentRecord]:
    """Lines in the order set; ``whole`` false: only up to the light."""
    shot = pixel.shot
    ends = {p.name: p.last for p in shot.plan}
    rows: list[FragmentRecord] = []
    owner, at = "", -1
    lit = False
    for p in (int(n) for n in pixel.near):
        if p >= ends["decals"] and not lit:
            pixel.solids_done()
            lit = True
            if not whole:
                return rows
        poly = shot.polys[p]
        index = int(poly["draw"])
        if index in off:
            continue
        draw = draws[index]
        if poly["only_depth"]:
            before = float(pixel.buffers.depth[pixel.y, pixel.x])
            pixel.draw(p, deferred=False)
            if pixel.buffers.depth[pixel.y, pixel.x] != before:
                owner, at = draw.name, -1
            continue
        pixel.look_through(p)
        got = pixel.probe(p, _paint.ALL)
        if got is None:
            continue
        facts, code = got
        pixel.draw(p, deferred=p < ends["decals"])
        wrote = code == DRAWN and draw.material.depth_write
        rows.append(_line(shot, draw, p, facts, code, owner if code == HIDDEN else "", pixel.colour, wrote=wrote))
        if code == HIDDEN and at >= 0:
            rows[at] = replace(rows[at], hides=(*rows[at].hides, _called(draw)))
        if wrote:
            owner, at = draw.name, len(rows) - 1
    if not lit:
        pixel.solids_done()
    return rows


def _exact_lines(
    pixel: _Pixel, draws: list[DrawCall], off: Collection[int], rows: list[FragmentRecord], apart: NDArray[np.bool_]
) -> list[FragmentRecord]:
    """Lines after the light in exact order, added to those before it; ``apart`` as `drawn_apart` gives it."""
    shot = pixel.shot
    written = np.float32(0)
    for step in (p for p in shot.plan if p.name in SORTED):
        kept = []
        if step.name == "front":
            pixel.buffers.depth[pixel.y, pixel.x] = max(pixel.buffers.depth[pixel.y, pixel.x], written)
        for p in pixel.near[(pixel.near >= step.first) & (pixel.near < step.last)]:
            if int(shot.polys[p]["draw"]) in off or shot.polys[p]["only_depth"]:
                continue
            pixel.look_through(p)
            got = pixel.probe(p, _paint.ALL)
            if got is None:
                continue
            if got[1] != DRAWN:
                draw = draws[int(shot.polys[p]["draw"])]
                by = next((_called(r) for r in reversed(rows) if r.wrote), "") if got[1] == HIDDEN else ""
                rows.append(_line(shot, draw, int(p), got[0], got[1], by, pixel.colour, wrote=False))
            else:
                kept.append((int(p), got[0]))
        if not kept:
            continue
        links = np.array([(i - 1, p, 0) for i, (p, _) in enumerate(kept)], np.int32)
        facts = np.stack([f for _, f in kept])
        order = np.empty(len(kept), np.int64)
        scratch = np.empty(len(kept), np.int64)
        n = _settle.sort_list(len(kept) - 1, links, facts, shot.records.draws, shot.polys, order, scratch)
        for k in order[:n]:
            draw = draws[int(shot.polys[kept[k][0]]["draw"])]
            if apart[kept[k][0]]:
                # By the very row that the picture is drawn by, whose last bit may differ.
                pixel.draw(kept[k][0], deferred=False)
                below = pixel.colour.copy()
            else:
                below = pixel.colour.copy()
                if facts[k, 8] >= 0:
                    below[:3] = facts[k, 8:11]
                _merge.merge_one(
                    BLENDS[draw.material.blend].code,
                    np.ascontiguousarray(facts[k, :4]),
                    below,
                    np.float32(draw.material.opacity),
                    np.float32(0),
                    np.float32(-1),
                    pixel.display,
                )
                pixel.colour[:] = below
            m = draw.material
            wrote = m.depth_write or (m.depth_first and m.depth_test and facts[k, 3] > 0)
            written = max(written, facts[k, 7]) if wrote else written
            rows.append(_line(shot, draw, kept[k][0], facts[k], DRAWN, "", below, wrote=bool(wrote)))
    return rows


class FragmentQuery:
    """Accounts of pixels of one view: what all of them share is made once.

    Parameters
    ----------
    draws : list of DrawCall
        In their order.
    view : View
    lighting : Lighting, optional
    """

    def __init__(self, draws: list[DrawCall], view: View, lighting: Lighting | None = None) -> None:
        self.lighting = lighting or Lighting()
        self.draws, self.sorted = draws, in_lists(draws)
        self.shot, self.exact = RenderPlan(draws, view), RenderPlan(self.sorted, view)
        self._kept: dict[tuple[str, frozenset[int], int], MipChain] = {}
        self.apart = drawn_apart(self.exact)
        self.shadows = shadows_for(draws, self.lighting, lit=self.shot.lit)

    def _behind(self, order: str, off: Collection[int], first: int) -> MipChain:
        """What is drawn before polygon ``first``, as what refracts reads it; the last few are kept."""
        key = order, frozenset(off), first
        if key not in self._kept:
            shot = (self.shot if order == "set" else self.exact).until(first, off)
            buffers = Buffers.of(shot.view)
            if order == "set":
                run(shot, buffers, self.lighting, self.shadows)
            else:
                run(shot, buffers, self.lighting, self.shadows, skip=SORTED)
                lay_lists(shot, buffers, self.lighting, self.shadows)
            self._kept[key] = behind_chain(buffers.colour, shot.frosted)
            while len(self._kept) > HELD:
                self._kept.pop(next(iter(self._kept)))
        return self._kept[key]

    def account(self, x: int, y: int, off: Collection[tuple[str, str]] = ()) -> PixelHistory:
        """The account of pixel ``x, y``.

        Parameters
        ----------
        x, y : int
            Inside the picture.
        off : collection of (overlay id, placement)
            Left out, to see what they give.
        """
        without = set(off)
        gone = [{i for i, d in enumerate(rows) if (d.owner, d.part) in without} for rows in (self.draws, self.sorted)]
        first = _Pixel(self.shot, self.lighting, self.shadows, x, y, partial(self._behind, "set", gone[0]))
        background = rgba_of(first.colour)
        lines = _set_lines(first, self.draws, gone[0])
        second = _Pixel(self.exact, self.lighting, self.shadows, x, y, partial(self._behind, "exact", gone[1]))
        before = _set_lines(second, self.sorted, gone[1], whole=False)
        exact = _exact_lines(second, self.sorted, gone[1], before, self.apart)
        # One name for a polygon, whichever order it stands in.
        names = {_name_of(self.sorted, self.exact, r.face): r.face for r in exact}
        found = {v: k for k, v in names.items()}
        back = {_name_of(self.draws, self.shot, r.face): r.face for r in lines}
        exact = [replace(r, face=back.get(found[r.face], r.face)) for r in exact]
        return PixelHistory((x, y), background, tuple(lines), tuple(exact))


def _name_of(draws: list[DrawCall], shot: RenderPlan, face: int) -> tuple[str, str, str, int]:
    """Names a polygon whatever the order of draws: its draw, and which of its polygons."""
    index = int(shot.polys[face]["draw"])
    d = draws[index]
    # Counted, not subtracted: particles of others may stand between those of a draw.
    return d.owner, d.part, d.name, int(np.count_nonzero(shot.polys["draw"][:face] == index))


def fragments_at(
    draws: list[DrawCall], view: View, x: int, y: int, lighting: Lighting | None = None
) -> list[FragmentRecord]:
    """Every fragment of a pixel in the order set, as the ledger lists them, for those who ask what is hit.

    No shadow is worked out, and what refracts sees nothing behind it: no verdict, depth, texel or alpha depends on either.

    Parameters
    ----------
    draws : list of DrawCall
        In their order.
    view : View
    x, y : int
        Inside the picture.
    lighting : Lighting, optional
        That of the picture: its environment has been worked out already.
    """
    shot = RenderPlan(draws, view)
    nothing = build_chain(np.zeros((1, 1, 4), np.float32))
    return _set_lines(_Pixel(shot, lighting or Lighting(), None, x, y, lambda _first: nothing), draws, ())


def account_of(draws: list[DrawCall], view: View, x: int, y: int, lighting: Lighting | None = None) -> PixelHistory:
    """The account of one pixel; see `FragmentQuery`."""
    return FragmentQuery(draws, view, lighting).account(x, y)

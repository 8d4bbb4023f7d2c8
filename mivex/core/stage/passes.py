"""Drawing: a plan of passes over bands of the picture.

Solid things and decals say what each surface is; light is worked out once for what is left of them; then what is
blended is drawn over it, and what lies in front. Passes follow one another band by band, so that a band's pixels stay
in the cache; a pass that reads what others have drawn elsewhere starts only when all bands of the one before are done.
"""

from collections.abc import Callable, Collection
from copy import copy
from dataclasses import dataclass, replace
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import run_bands
from mivex.core.base.errors import Stopped
from mivex.core.base.kept import memoized_on
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Doubles, Floats
from mivex.core.pixels.blends import BLENDS, GROUPS
from mivex.core.stage.buffers import NO_SURFACES, PICTURE, Box, Buffers, Screen, Sink, frame_record
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall, Records, refracts
from mivex.core.stage.lighting import Shadows, light_record, shadows_for
from mivex.core.stage.lights import Lighting, PointLamp
from mivex.core.stage.polygon_order import back_first, blocks_of, far_to_near, interleave, lays, ranked
from mivex.core.stage.records import LIGHT, POLY
from mivex.core.stage.transmission import behind_chain, frosted

_paint = Lazy("mivex.core.stage.kernels.paint")
_project = Lazy("mivex.core.stage.kernels.project")
_screen = Lazy("mivex.core.stage.kernels.screen")
_shade = Lazy("mivex.core.stage.kernels.shade")

NEAR = 0.02
"""Nearest drawn distance in metres."""


@dataclass(frozen=True)
class Pass:
    """One pass of the plan.

    Attributes
    ----------
    name : {"solid", "decals", "light", "blended", "front"}
    first, last : int
        Its polygons.
    reads : bool
        It reads pixels that other passes have drawn, beyond its own band.
    """

    name: str
    first: int
    last: int
    reads: bool = False


# Which pass a group is drawn in. What is solid shares one pass, so that all of it is lit once, after the
# decals.
_PASS_OF = {
    "Backdrop": "solid",
    "Solid": "solid",
    "Cutout": "solid",
    "Decal": "decals",
    "Blended": "blended",
    "Front": "front",
}


class RenderPlan:
    """Draws brought to the screen for one view: polygons in their order, and the plan.

    Parameters
    ----------
    draws : list of DrawCall
        In their order.
    view : View
    like : RenderPlan, optional
        One of the same view, which may begin with the same draws.
    """

    def __init__(self, draws: list[DrawCall], view: View, like: "RenderPlan | None" = None) -> None:
        self.view, self.draws = view, draws
        self.ends: list[int] = []
        self._parts: dict[int, tuple[int, ...]] = {}
        """Of what refracts: where among its polygons another of its parts begins."""
        self.records = Records(draws)
        # Room for what is known in advance: a draw that lays its depth first brings its polygons twice. One more keeps
        # the array from being empty.
        self.polys = np.zeros(sum(len(d.mesh.index) * (1 + lays(d)) for d in draws) + 1, POLY)
        lens = np.array([view.focal, view.width / 2, view.height / 2, NEAR])
        count, ends = 0, dict.fromkeys(("solid", "decals", "blended", "front"), 0)
        self.lamps = tuple(d.lamp for d in draws if d.lamp is not None)
        self.lit_surfaces = any(d.lit and d.before_light for d in draws)
        self.lit = any(d.lit for d in draws)
        self.frosted = frosted(draws)
        self.meets = any(d.material.contact.distance > 0 for d in draws)
        # Projecting is the dearest part of a plan. Edits mostly change one draw, so what comes before it is taken over
        # as it stands.
        seen = view.camera, view.width, view.height
        alike = 0
        blocks = blocks_of(draws)
        self.alike_until = blocks[0][0] if blocks else len(draws)
        """Draws before this one have their polygons one after the other."""
        if like is not None and seen == (like.view.camera, like.view.width, like.view.height):
            limit = min(len(draws), len(like.draws), self.alike_until, like.alike_until)
            while alike < limit and draws[alike] is like.draws[alike]:
                alike += 1
        if like is not None and alike:
            self._parts |= {k: v for k, v in like._parts.items() if k < alike}
            self.polys[: like.ends[alike - 1]] = like.polys[: like.ends[alike - 1]]
        for i, d in enumerate(draws):
            count = like.ends[i] if like is not None and i < alike else self._projected(d, i, seen, lens, count)
            self.ends.append(count)
            # A group's end can lie before the end of an earlier group where it holds nothing: hence max below, so that
            # passes never overlap.
            ends[_PASS_OF[GROUPS[d.order[0]]]] = count
        for block in blocks:
            interleave(self.polys, [0, *self.ends], draws, block)
        at, plan = 0, []
        owner = self.polys["draw"][:count]
        # Refracting things before the light are solid by their group: they read no picture, since none is finished
        # there.
        reading = [i for i, d in enumerate(draws) if refracts(d.material) and not d.before_light]
        for name in ("solid", "decals", "light", "blended", "front"):
            end = at if name == "light" else max(at, ends[name])
            for i in reading if name in ("blended", "front") else ():
                # Its polygons stand together even where particles mix: only particles take their place one by one.
                mine = np.flatnonzero(owner == i)
                first, last = (int(mine[0]), int(mine[-1]) + 1) if mine.size else (0, 0)
                if at <= first < last <= end:
                    # It reads what is there by then: all that comes before it is finished first, its own parts too.
                    plan.append(Pass(name, at, first))
                    ends_of = [first + k for k in self._parts.get(i, ())] + [last]
                    for at in ends_of:
                        plan.append(Pass(name, first, at, reads=True))
                        first = at
            plan.append(Pass(name, at, end))
            at = end
        self.plan = tuple(plan)
        self.reads = any(p.reads for p in plan)
        self.count = count

    def _projected(self, d: DrawCall, number: int, seen: tuple[object, ...], lens: Doubles, begun: int) -> int:
        """Put a draw's polygons behind those that are there; the same as before where nothing of it has changed."""
        # Kept on the draw itself: it lives as long as the draw is part of some scene and goes with it.
        held: dict[tuple[object, ...], tuple[NDArray[Any], tuple[int, ...]]] = memoized_on(d, "polygons", dict)
        found = held.get(seen)
        if found is None:
            mesh = d.mesh if d.transform is None else d.mesh.transformed(d.transform)
            alone = refracts(d.material) and not d.before_light and not lays(d)
            # A pane that refracts sees its own far side: its parts are drawn from far to near, each as a pass of its
            # own.
            end, cuts = begun, []
            for part in far_to_near(mesh, self.view.eye) if alone else (mesh,):
                start = end
                end = _project.project(
                    *part.arrays(d.coat.uv_set),
                    self.records.draws,
                    number,
                    self.view.matrix,
                    lens,
                    self.polys,
                    start,
                    False,
                )
                end = ranked(self.polys, start, end, d)
                if alone:
                    cuts += [start, start + back_first(self.polys[start:end])]
            parts = tuple(sorted({k - begun for k in cuts} - {0, end - begun}))
            held.clear()  # of one view only
            if d.mesh.away is not None:
                self.polys["away"][begun:end] = d.mesh.away[self.polys["face"][begun:end]]
            held[seen] = self.polys[begun:end].copy(), parts
            self._parts[number] = parts
            return end
        rows, self._parts[number] = found
        end = begun + len(rows)
        self.polys[begun:end] = rows
        # The same polygons under another number: a draw may have moved up or down the list since.
        self.polys["draw"][begun:end] = number
        return end

    def until(self, first: int, off: Collection[int] = ()) -> "RenderPlan":
        """Only what comes before polygon ``first``, without some draws."""
        made = copy(self)
        made.plan = tuple(replace(p, last=min(p.last, first)) for p in self.plan if p.first < first or p.first == p.last)
        if off:
            made.polys = self.polys.copy()
            # A polygon that ends above everything is skipped by every kernel at its first test; numbers of polygons
            # stay as they are.
            made.polys["bottom"][np.isin(made.polys["draw"], list(off))] = -np.inf
        return made

    def box(self, first: int, last: int) -> Box | None:
        """What polygons ``first`` to ``last`` can touch; None where that is nothing."""
        return self._box(self.polys[first:last])

    def _box(self, p: NDArray[Any]) -> Box | None:
        """What some polygons can touch."""
        if not len(p):
            return None
        top, low, left, right = p["top"].min(), p["bottom"].max(), p["left"].min(), p["right"].max()
        h, w = self.view.height, self.view.width
        found = (
            max(0, int(max(top, 0))),
            min(h, int(np.ceil(min(low, h))) + 1),
            max(0, int(max(left, 0))),
            min(w, int(np.ceil(min(right, w))) + 1),
        )
        return found if found[0] < found[1] and found[2] < found[3] else None

    def later_solids(self) -> NDArray[np.void]:
        """Polygons of group Blended that nothing is seen through and that write depth, as ones that only lay it."""
        blended = GROUPS.index("Blended")
        late = [
            i
            for i, d in enumerate(self.draws)
            if d.order[0] == blended and not BLENDS[d.material.blend].see_through and d.material.depth_write
        ]
        rows = self.polys[: self.count]
        rows = rows[np.isin(rows["draw"], late)]
        rows["only_depth"] = True
        return rows

    def boxes(self, draws: list[DrawCall], which: set[int]) -> list[Box]:
        """What some of its draws can touch; ``which`` holds their ids."""
        owner = self.polys["draw"][: self.count]
        rows = []
        for i, d in enumerate(draws):
            # Not all from its first polygon to its last: particles of others may stand between.
            if id(d) in which and (b := self._box(self.polys[np.flatnonzero(owner == i)])):
                rows.append(b)
        return rows


def lay_solids(shot: RenderPlan, later: NDArray[Any], frame: NDArray[Any], scene: Floats, box: Box) -> None:
    """Lay what is solid in group Blended into the depth that contact fade meets, whatever is drawn first there."""
    if len(later):
        laying = frame.copy()
        laying["depth"] = scene.ctypes.data
        where = np.array([*box, 0, len(later)], np.int64)
        _paint.paint(laying, np.zeros(1, LIGHT), shot.records.draws, later, where, NO_SURFACES, PICTURE)


def blended_frame(shot: RenderPlan, buffers: Buffers, lighting: Lighting) -> tuple[NDArray[Any], Floats]:
    """The picture for kernels once all before the light is there, and what contact fade meets, to be held as long."""
    scene = buffers.depth
    if shot.meets and len(later := shot.later_solids()):
        scene = buffers.depth.copy()
    frame = frame_record(shot.view, buffers, lighting, scene)
    if scene is not buffers.depth:
        lay_solids(shot, later, frame, scene, (0, shot.view.height, 0, shot.view.width))
    return frame, scene


def run(  # noqa: PLR0913
    shot: RenderPlan,
    buffers: Buffers,
    lighting: Lighting,
    shadows: Shadows | None,
    *,
    box: Box | None = None,
    skip: tuple[str, ...] = (),
    after_light: Callable[[Box], None] | None = None,
    screen: Screen | None = None,
    sink: Sink = PICTURE,
    lamps: tuple[PointLamp, ...] | None = None,
) -> None:
    """Run the plan over a box of the picture.

    Parameters
    ----------
    shot : RenderPlan
    buffers : Buffers
    lighting : Lighting
    shadows : Shadows, optional
    box : Box, optional
        Only this part; the rest of the buffers is left as it is.
    skip : tuple of str
        Passes that are there already; “clear” stands for the empty ground that the first begins with.
    after_light : callable
        Told of each piece of the picture once its light is there.
    screen : Screen, optional
        Receives the finished picture.
    sink : Sink
        One that counts or looks, of all rows.
    lamps : tuple of PointLamp, optional
        In place of those that its draws carry.
    """
    view = shot.view
    top, low, left, right = box or (0, view.height, 0, view.width)
    # What is solid must stay known when something blended writes depth.
    scene = None
    # The depth that fades meet differs from the depth that is tested once something blended writes depth, so it is
    # a copy.
    if shot.meets:
        scene = np.empty_like(buffers.depth)
        scene[top:low, left:right] = buffers.depth[top:low, left:right] if {"clear", "solid"} & set(skip) else 0
    frame = frame_record(view, buffers, lighting, scene)
    later = shot.later_solids() if scene is not None else shot.polys[:0]
    if scene is not None and "light" in skip:
        lay_solids(shot, later, frame, scene, (top, low, left, right))
    near = shot.lamps if lamps is None else lamps
    light, held = light_record(lighting, shadows, near) if shot.lit else (np.zeros(1, LIGHT), ())
    r = shot.records
    plan = [p for p in shot.plan if p.name not in skip]
    # Passes up to the next one that reads the picture run together, band by band; a reading pass needs all bands
    # finished first.
    legs: list[list[Pass]] = [[]]
    for p in plan:
        if p.reads and legs[-1]:
            legs.append([])
        legs[-1].append(p)
    for number, leg in enumerate(legs):
        if leg and leg[0].reads:
            chain = behind_chain(buffers.colour, shot.frosted, (top, low, left, right))
            frame["behind"] = chain.record.ctypes.data

        def band(first: int, last: int, leg: list[Pass] = leg, ending: bool = number == len(legs) - 1) -> None:
            first, last = first + top, last + top
            surfaces = NO_SURFACES
            if shot.lit_surfaces and any(p.name == "solid" for p in leg):
                surfaces = np.empty((last - first, view.width, 16), np.float32)
            for p in leg:
                where = np.array([first, last, left, right, p.first, p.last], np.int64)
                before = p.name in ("solid", "decals")
                if p.name == "solid" and "clear" not in skip:
                    _paint.clear(frame, where, surfaces)
                if p.name == "light":
                    if surfaces.size:
                        _shade.light_up(frame, light, where, surfaces)
                    if scene is not None:
                        scene[first:last, left:right] = buffers.depth[first:last, left:right]
                        lay_solids(shot, later, frame, scene, (first, last, left, right))
                    if after_light is not None:
                        after_light((first, last, left, right))
                elif p.first < p.last:
                    _paint.paint(frame, light, r.draws, shot.polys, where, surfaces if before else NO_SURFACES, sink)
            if ending and screen is not None:
                screen.write(buffers.colour, (first, last, left, right))

        # Surfaces take four times the room of the picture: thin bands keep them in the cache of the core that draws them.
        thin = shot.lit_surfaces and any(p.name == "solid" for p in leg)
        run_bands(low - top, band, per_worker=24 if thin else 6, least=16 if thin else 32)
    # The record holds addresses of the shadow's arrays: it has to outlive the last kernel that reads through them.
    del held


def draw_all(
    draws: list[DrawCall],
    view: View,
    lighting: Lighting | None = None,
    buffers: Buffers | None = None,
    *,
    stop: Callable[[], bool] = lambda: False,
) -> Buffers:
    """Draw a list, in its order.

    Parameters
    ----------
    draws : list of DrawCall
    view : View
    lighting : Lighting, optional
        What is usual.
    buffers : Buffers, optional
        Draw over what is in these; all of it is then blended as it comes, and nothing is cleared.
    stop : callable
        Asked before drawing; true raises Stopped.

    Returns
    -------
    Buffers
        Linear light; alpha 0 where nothing but the ground was drawn.
    """
    lighting = lighting or Lighting()
    shot = RenderPlan(draws, view)
    shadows = shadows_for(draws, lighting, lit=shot.lit)
    if stop():
        raise Stopped
    if buffers is None:
        buffers = Buffers.of(view)
        run(shot, buffers, lighting, shadows)
    else:
        # A picture that is drawn on has been lit already: its surfaces are not known any more, and nothing is left to
        # be lit later.
        shot.lit_surfaces = False
        run(shot, buffers, lighting, shadows, skip=("clear",))
    return buffers

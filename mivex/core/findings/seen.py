"""What the cameras of a scene see: pictures in both orders, and every fragment of every overlay. Measured once a scene."""

from collections.abc import Callable
from dataclasses import dataclass
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.pixels.blends import BLENDS, GROUPS
from mivex.core.project.document import Document
from mivex.core.stage.buffers import NO_SURFACES, Buffers, frame_record, sink_of
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.exact import SORTED, in_lists, lay_lists
from mivex.core.stage.lighting import Shadows, light_record, shadows_for
from mivex.core.stage.looks import display_codes, tallied
from mivex.core.stage.passes import RenderPlan, run

_paint = Lazy("mivex.core.stage.kernels.paint")
_effect = Lazy("mivex.core.stage.kernels.effects")
_settle = Lazy("mivex.core.stage.kernels.settle")

SIZE = (256, 160)
"""Pixels of a picture that is measured."""
Codes = NDArray[np.int16]
Drawing = Callable[[Document, View], list[DrawCall]]


@dataclass(frozen=True, eq=False)
class VisibleDraws:
    """One camera's view of a document.

    Attributes
    ----------
    doc : Document
    camera : Camera
    draws_of : callable
        ``draws_of(document, view)`` gives everything to draw.
    """

    doc: Document
    camera: Camera
    draws_of: Drawing

    @cached_property
    def view(self) -> View:
        """The camera set up for a picture."""
        return View(self.camera, *SIZE)

    @cached_property
    def draws(self) -> list[DrawCall]:
        """Everything to draw, in order."""
        return self.draws_of(self.doc, self.view)

    def _behind(self, draws: list[DrawCall]) -> tuple[RenderPlan, Buffers, Shadows | None]:
        """Everything up to the light of some draws."""
        shot, buffers = RenderPlan(draws, self.view), Buffers.of(self.view)
        shadows = self.shadows(shot.lit, draws)
        run(shot, buffers, self.doc.lighting, shadows, skip=SORTED)
        return shot, buffers, shadows

    @cached_property
    def _own_behind(self) -> tuple[RenderPlan, Buffers, Shadows | None]:
        return self._behind(self.draws)

    def picture(self, draws: list[DrawCall]) -> Codes:
        """Display codes of some draws; what lies behind the blended ones is kept where it is the same."""
        light = self.doc.lighting
        solid = [d for d in draws if d.before_light]
        # Most trials change a see-through overlay: what lies behind all of them is drawn once.
        same = draws is self.draws or solid == [d for d in self.draws if d.before_light]
        shot, buffers, shadows = self._own_behind if same else self._behind(draws)
        if draws is not self.draws:
            shot = RenderPlan(draws, self.view)
        made = buffers.copy()
        run(shot, made, light, shadows, skip=("clear", "solid", "decals", "light"))
        return display_codes(made, light).astype(np.int16)

    @cached_property
    def codes(self) -> Codes:
        """Display codes of the picture as it is set, (height, width, 3)."""
        return self.picture(self.draws)

    def shadows(self, lit: bool, draws: list[DrawCall] | None = None) -> Shadows | None:
        """The lamp's shadows for some draws, or for all."""
        return shadows_for(self.draws if draws is None else draws, self.doc.lighting, lit=lit)

    @cached_property
    def exact(self) -> Codes:
        """Display codes (h, w, 3), int16, of the same view with fragments sorted by depth."""
        draws, light = in_lists(self.draws), self.doc.lighting
        same = [d for d in draws if d.before_light] == [d for d in self.draws if d.before_light]
        _, buffers, shadows = self._own_behind if same else self._behind(draws)
        made = buffers.copy()
        lay_lists(RenderPlan(draws, self.view), made, light, shadows)
        return display_codes(made, light).astype(np.int16)

    @cached_property
    def error(self) -> NDArray[np.int16]:
        """Largest difference of the two over the channels, (height, width)."""
        return np.asarray(np.abs(self.codes - self.exact).max(axis=2))

    def otherwise(self, doc: Document) -> Codes:
        """Display codes of another document from here."""
        return self.picture(self.draws_of(doc, self.view))

    @cached_property
    def counts(self) -> tuple[Floats, Floats]:
        """Fragments of overlays per pixel, and how many changed nothing."""
        return tallied(self.draws, self.view, self.doc.lighting)

    @cached_property
    def solid_depths(self) -> dict[str, Floats]:
        """1/w of every overlay that has something solid, alone, (height, width), by its id; 0: nothing."""
        out = {}
        for owner in dict.fromkeys(d.owner for d in self.draws if d.owner and not _asked(d)):
            own = Buffers.of(self.view)
            run(
                RenderPlan([d for d in self.draws if d.owner == owner and not _asked(d)], self.view),
                own,
                self.doc.lighting,
                None,
                skip=("decals", "light", *SORTED),
            )
            out[owner] = own.depth
        return out

    @cached_property
    def opaque(self) -> frozenset[str]:
        """Ids of overlays of which something solid is seen."""
        solid = self.fragments.solid
        return frozenset(k for k, d in self.solid_depths.items() if ((d > 0) & (d >= solid)).any())

    @cached_property
    def fragments(self) -> "Seen":
        """Every fragment of decals and see-through overlays that lies before or near what is solid."""
        return _seen(self)


@dataclass(frozen=True, eq=False)
class Seen:
    """Fragments in drawing order, pixel by pixel.

    Attributes
    ----------
    pixel, draw : int64 arrays (n,)
    iw : float32 array (n,)
        1/w as the depth test sees it.
    alpha : float32 array (n,)
    verdict : int64 array (n,)
        Against what is solid: 0 in front, 1 hidden, 2 or 3 discarded.
    rank : int64 array (n,)
        Its place among its pixel's fragments.
    hidden_by : int64 array (n,)
        The draw that hid it by writing depth though it is see-through; −1: none.
    solid : float32 array (height, width)
        1/w of what is solid; 0: nothing.
    around : float32 array (height, width)
        The same of the surroundings alone.
    """

    pixel: NDArray[np.int64]
    draw: NDArray[np.int64]
    iw: Floats
    alpha: Floats
    verdict: NDArray[np.int64]
    rank: NDArray[np.int64]
    hidden_by: NDArray[np.int64]
    solid: Floats
    around: Floats


def _seen(shown: VisibleDraws) -> Seen:
    view, lighting = shown.view, shown.doc.lighting
    index = [i for i, d in enumerate(shown.draws) if _asked(d)]
    draws = [shown.draws[i] for i in index]
    behind = RenderPlan([d for d in shown.draws if not _asked(d)], view)
    buffers = Buffers.of(view)
    run(behind, buffers, lighting, None, skip=("decals", "blended", "front"))
    solid = buffers.depth.copy()
    bare = Buffers.of(view)
    run(
        RenderPlan([d for d in shown.draws if not d.owner], view), bare, lighting, None, skip=("decals", "blended", "front")
    )
    shot = RenderPlan(draws, view)
    shadows = shown.shadows(shot.lit)
    # For what is bent the order would depend on the picture behind it, which is not there yet.
    shot.records.draws["special"] &= ~_effect.REFRACTS  # colours are not asked for
    light, held = light_record(lighting, shadows)
    frame = frame_record(view, buffers, lighting)
    where = np.array([0, view.height, 0, view.width, 0, shot.count], np.int64)
    room = max(_settle.room_for(shot.polys, where, view.width), 1)
    sink = sink_of(_paint.ALL, 0, view.height, view.width, room)
    _paint.paint(frame, light, shot.records.draws, shot.polys, where, NO_SURFACES, sink)
    del held
    n = int(sink[5][0])
    pixel = np.empty(n, np.int64)
    _settle.pixels_of(sink[2], sink[3], pixel)
    own = ~np.isin(sink[3][:n, 1], np.flatnonzero(shot.polys["only_depth"]))
    # Stable: within a pixel fragments stay in the order in which they were drawn.
    order = np.flatnonzero(own)[np.argsort(pixel[own], kind="stable")]
    pixel = pixel[order]
    which = shot.polys["draw"][sink[3][:n, 1]][order].astype(np.int64)
    facts, verdict = sink[4][:n][order], sink[3][:n, 2][order].astype(np.int64)
    starts = np.flatnonzero(np.diff(pixel, prepend=-1))
    rank = np.arange(n if n == len(pixel) else len(pixel)) - np.repeat(starts, np.diff([*starts, len(pixel)]))
    iw = facts[:, 7]
    m = [d.material for d in draws]
    tests = np.array([x.depth_test for x in m] or [False])[which]
    writes = np.array([x.depth_write or (x.depth_first and x.depth_test) for x in m] or [False])[which]
    depth, owner = solid.ravel().copy(), np.full(solid.size, -1, np.int64)
    hidden_by = np.full(len(pixel), -1, np.int64)
    # All pixels at once, their first fragments, then their second: as many rounds as the deepest pixel has.
    for r in range(int(rank.max(initial=-1)) + 1):
        at = np.flatnonzero((rank == r) & (verdict != 2) & (verdict != 3))
        p = pixel[at]
        lost = tests[at] & (iw[at] < depth[p])
        hidden_by[at[lost & (verdict[at] == 0)]] = owner[p[lost & (verdict[at] == 0)]]
        wrote = at[~lost & writes[at] & (verdict[at] == 0)]
        depth[pixel[wrote]], owner[pixel[wrote]] = iw[wrote], which[wrote]
    number = np.array(index or [0], np.int64)
    hidden_by = np.where(hidden_by >= 0, number[hidden_by], -1)
    return Seen(pixel, number[which], iw, facts[:, 3], verdict, rank, hidden_by, solid, bare.depth)


def _asked(draw: DrawCall) -> bool:
    """Decals and what is seen through: everything else is what they lie on or before."""
    return bool(draw.owner) and (BLENDS[draw.material.blend].see_through or draw.order[0] >= GROUPS.index("Decal"))


def see_through(draw: DrawCall) -> bool:
    """What lies behind it takes part, and it is no decal."""
    return BLENDS[draw.material.blend].see_through and draw.material.group != "Decal"


def changed(doc: Document, overlay: str, **material: object) -> Document:
    """A document with other material settings of one overlay."""
    rows = tuple(
        o.model_copy(update={"material": o.material.model_copy(update=material)}) if o.id == overlay else o
        for o in doc.overlays
    )
    return doc.model_copy(update={"overlays": rows})


def without(doc: Document, overlay: str) -> Document:
    """A document with one overlay hidden."""
    rows = tuple(o.model_copy(update={"shown": False}) if o.id == overlay else o for o in doc.overlays)
    return doc.model_copy(update={"overlays": rows})

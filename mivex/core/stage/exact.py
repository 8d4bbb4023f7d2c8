"""Exact order: every fragment of a pixel is kept, sorted by depth, and blended from far to near (Carpenter 1984).

What the depth buffer settles, settles it here too: Solid, Cutout and Dithered surfaces, and decals, which change such
surfaces. Everything that is seen through is kept in lists, whatever draw group it stands in, whether or not it writes
depth, and whatever its nudge; only Front stays in front, and meets the depths that were written by then. What refracts
stands where its distance puts it, and reads what is exact up to there. Depth is the one that the depth test sees, bias
and all.
"""

from collections.abc import Callable, Iterable, Iterator
from dataclasses import replace
from functools import partial

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import run_bands
from mivex.core.base.errors import Stopped
from mivex.core.base.lazy import Lazy
from mivex.core.pixels.blends import BLENDS, GROUPS
from mivex.core.stage.buffers import NO_SURFACES, PICTURE, Buffers, sink_of
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall, refracts
from mivex.core.stage.lighting import Shadows, light_record, shadows_for
from mivex.core.stage.lights import Lighting
from mivex.core.stage.passes import Pass, RenderPlan, blended_frame, run
from mivex.core.stage.transmission import behind_chain

_paint = Lazy("mivex.core.stage.kernels.paint")
_settle = Lazy("mivex.core.stage.kernels.settle")

SORTED = ("blended", "front")
"""Passes whose fragments are kept in lists."""


def in_lists(draws: Iterable[DrawCall], *, nudged: bool = False) -> list[DrawCall]:
    """Draws in an order in which all that is seen through, decals apart, comes after what is not.

    ``nudged``: nudges count even where something refracts, as in the order that is set.
    """
    blended = GROUPS.index("Blended")
    rows = list(draws)
    # What refracts has to wait for what lies behind it: then the distance decides, not the nudge.
    level = not nudged and any(refracts(d.material) for d in rows)
    for i, d in enumerate(rows):
        if BLENDS[d.material.blend].see_through and d.order[0] <= blended and d.material.group != "Decal":
            wanted = (blended, 0 if level else d.order[1])
            rows[i] = replace(d, order=(*wanted, d.order[2])) if d.order[:2] != wanted else d
    return sorted(rows, key=lambda d: d.order)


APART = 2e-6
"""Part of 1/w by which two polygons must be apart for one to lie before the other at every pixel: several times what
a row's float32 steps round."""


def runs_of(polys: NDArray[np.void], draws: NDArray[np.void]) -> tuple[NDArray[np.int64], list[tuple[int, int, bool]]]:
    """Polygons from far to near, and runs of them: those that lie apart in depth, and those that must be sorted by pixels.

    Parameters
    ----------
    polys : POLY array (n,)
        Of one pass.
    draws : DRAW array

    Returns
    -------
    order : int64 array (n,)
        The polygons from far to near; level ones as they were.
    runs : list of (first, last, apart)
        Stretches of that order. Where ``apart`` is true each polygon may be drawn over the one before it.
    """
    corner = np.arange(polys["x"].shape[1]) < polys["corners"][:, None]
    dx, dy = polys["x"] - polys["at_x"][:, None], polys["y"] - polys["at_y"][:, None]
    iw = polys["value"][:, :1] + polys["across"][:, :1] * dx + polys["down"][:, :1] * dy
    bias = polys["bias"].astype(np.float64)[:, None]
    left = np.maximum(1 - iw * bias, 1e-6)
    iw = np.where(bias > 0, iw / left, iw)
    low, high = np.where(corner, iw, np.inf).min(axis=1), np.where(corner, iw, -np.inf).max(axis=1)
    order = np.lexsort((np.arange(len(polys)), low))
    low, high = low[order], high[order]
    nearest = np.maximum.accumulate(high)
    begins = np.ones(len(order), bool)
    begins[1:] = low[1:] > nearest[:-1] * (1 + APART)
    # Panels square to the view at one and the same depth: what was drawn later lies on top.
    same = (low[1:] == high[1:]) & (low[:-1] == high[:-1]) & (low[1:] == low[:-1]) & (nearest[:-1] == low[:-1])
    begins[1:] |= same
    own = draws[polys["draw"][order]]
    # What writes depth is met by what stands in front; of what lays its depth first one surface counts.
    listed = (own["write"] != 0) | (own["first"] != 0)
    starts = np.append(np.flatnonzero(begins), len(order))
    alone = (np.diff(starts) == 1) & ~listed[starts[:-1]]
    runs: list[tuple[int, int, bool]] = []
    for first, last, apart in zip(starts[:-1], starts[1:], alone, strict=True):
        if runs and apart and runs[-1][2]:
            runs[-1] = (runs[-1][0], int(last), True)
        else:
            runs.append((int(first), int(last), bool(apart)))
    return order, runs


def _passes(shot: RenderPlan) -> Iterator[tuple[Pass, NDArray[np.int64], list[tuple[int, int, bool]]]]:
    """The sorted passes of a plan, each with its polygons in their order (as `runs_of`) and the runs of them."""
    draws = shot.records.draws
    for p in shot.plan:
        if p.name not in SORTED or p.first >= p.last:
            continue
        polys = shot.polys[p.first : p.last]
        # What refracts reads what is behind it, and what lays its depth first counts once: both go by pixels.
        if shot.reads or any(draws["first"][polys["draw"]]):
            yield p, np.arange(len(polys)), [(0, len(polys), False)]
        else:
            yield p, *runs_of(polys, draws)


def drawn_apart(shot: RenderPlan) -> NDArray[np.bool_]:
    """Polygons of a plan that exact order draws as the order set does, one over the other; the others are kept in lists."""
    apart = np.zeros(shot.count, bool)
    for p, order, runs in _passes(shot):
        for first, last, alone in runs:
            apart[p.first + order[first:last]] = alone
    return apart


def lay_lists(shot: RenderPlan, buffers: Buffers, lighting: Lighting, shadows: Shadows | None) -> None:
    """Draw the sorted passes of a shot over what is in the buffers."""
    view = shot.view
    frame, scene = blended_frame(shot, buffers, lighting)
    written = np.zeros_like(buffers.depth)
    light, held = light_record(lighting, shadows, shot.lamps)
    draws = shot.records.draws
    legs: list[list[tuple[Pass, NDArray[np.void], list[tuple[int, int, bool]]]]] = [[]]
    for p, order, runs in _passes(shot):
        if p.reads:
            legs.append([])
        legs[-1].append((p, np.ascontiguousarray(shot.polys[p.first : p.last][order]), runs))

    def band(first: int, last: int, leg: list[tuple[Pass, NDArray[np.void], list[tuple[int, int, bool]]]]) -> None:
        for p, polys, runs in leg:
            if p.name == "front":
                # It stays in front of what is sorted, and behind what wrote depth there, as in the order that is set.
                np.maximum(buffers.depth[first:last], written[first:last], out=buffers.depth[first:last])
            for begin, end, apart in runs:
                where = np.array([first, last, 0, view.width, begin, end], np.int64)
                if apart:
                    _paint.paint(frame, light, draws, polys, where, NO_SURFACES, PICTURE)
                elif room := _settle.room_for(polys, where, view.width):
                    sink = sink_of(_paint.KEPT, first, last - first, view.width, room)
                    _paint.paint(frame, light, draws, polys, where, NO_SURFACES, sink)
                    _settle.settle(frame, draws, polys, where, *sink[2:5], written)

    for leg in legs:
        if leg and leg[0][0].reads:
            chain = behind_chain(buffers.colour, shot.frosted)
            frame["behind"] = chain.record.ctypes.data
        run_bands(view.height, partial(band, leg=leg), per_worker=24, least=8)
    del held, scene


def draw_exact(
    draws: list[DrawCall], view: View, lighting: Lighting | None = None, *, stop: Callable[[], bool] = lambda: False
) -> Buffers:
    """Draw a list in exact order; as `draw_all`."""
    lighting = lighting or Lighting()
    rows = in_lists(draws)
    shot = RenderPlan(rows, view)
    shadows = shadows_for(rows, lighting, lit=shot.lit)
    if stop():
        raise Stopped
    buffers = Buffers.of(view)
    run(shot, buffers, lighting, shadows, skip=SORTED)
    lay_lists(shot, buffers, lighting, shadows)
    return buffers

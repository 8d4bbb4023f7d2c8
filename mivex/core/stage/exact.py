"""Exact order: every fragment of a pixel is kept, sorted by depth, and blended from far to near (Carpenter 1984).

What the depth buffer settles, settles it here too: Solid, Cutout and Dithered surfaces, and decals, which change such
surfaces. Everything that is seen through is kept in lists, whatever draw group it stands in, whether or not it writes
depth, and whatever its nudge; only Front stays in front. What refracts stands where its distance puts it, and reads
what is exact up to there. Depth is the one that the depth test sees, bias and all.
"""

from collections.abc import Callable, Iterable
from dataclasses import replace
from functools import partial

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.errors import Stopped
from mivex.core.base.lazy import Lazy
from mivex.core.pixels.blends import BLENDS, GROUPS
from mivex.core.pixels.mips import build_chain
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall, refracts
from mivex.core.stage.lighting import Shadows, light_record, shadows_for
from mivex.core.stage.lights import Lighting
from mivex.core.stage.passes import NO_SURFACES, Buffers, Pass, RenderPlan, frame_record, run, sink_of

_paint = Lazy("mivex.core.stage.kernels.paint")
_settle = Lazy("mivex.core.stage.kernels.settle")

SORTED = ("blended", "front")
"""Passes whose fragments are kept in lists."""


def in_lists(draws: Iterable[DrawCall]) -> list[DrawCall]:
    """Draws in an order in which all that is seen through, decals apart, comes after what is not."""
    blended = GROUPS.index("Blended")
    rows = list(draws)
    # What refracts has to wait for what lies behind it: then the distance decides, not the nudge.
    level = any(refracts(d.material) for d in rows)
    for i, d in enumerate(rows):
        if BLENDS[d.material.blend].see_through and d.order[0] <= blended and d.material.group != "Decal":
            wanted = (blended, 0 if level else d.order[1])
            rows[i] = replace(d, order=(*wanted, d.order[2])) if d.order[:2] != wanted else d
    return sorted(rows, key=lambda d: d.order)


def lay_lists(shot: RenderPlan, buffers: Buffers, lighting: Lighting, shadows: Shadows | None) -> None:
    """Draw the sorted passes of a shot over what is in the buffers."""
    view = shot.view
    frame = frame_record(view, buffers, lighting)
    light, held = light_record(lighting, shadows, shot.lamps)
    legs: list[list[Pass]] = [[]]
    for p in (p for p in shot.plan if p.name in SORTED and p.first < p.last):
        if p.reads:
            legs.append([])
        legs[-1].append(p)

    def band(first: int, last: int, leg: list[Pass]) -> None:
        for p in leg:
            where = np.array([first, last, 0, view.width, p.first, p.last], np.int64)
            room = _settle.room_for(shot.polys, where, view.width)
            if room:
                sink = sink_of(_paint.KEPT, first, last - first, view.width, room)
                _paint.paint(frame, light, shot.records.draws, shot.polys, where, NO_SURFACES, sink)
                _settle.settle(frame, shot.records.draws, shot.polys, where, *sink[2:5])

    for leg in legs:
        if leg and leg[0].reads:
            chain = build_chain(buffers.colour)
            frame["behind"] = chain.record.ctypes.data
        run_bands(view.height, partial(band, leg=leg), per_worker=24, least=8)
    del held


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

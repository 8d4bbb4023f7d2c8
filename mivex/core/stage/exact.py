"""Exact order: every fragment of a pixel is kept, sorted by depth, and blended from far to near (Carpenter 1984).

What the depth buffer settles, settles it here too: Solid, Cutout and Dithered surfaces, and decals, which change such
surfaces. Everything that is seen through is kept in lists, whatever draw group it stands in, whether or not it writes
depth, and whatever its nudge; only Front stays in front. Depth is the one that the depth test sees, bias and all.
"""

from collections.abc import Callable, Iterable
from dataclasses import replace

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.errors import Stopped
from mivex.core.base.lazy import Lazy
from mivex.core.pixels.blends import BLENDS, GROUPS
from mivex.core.stage.camera import View
from mivex.core.stage.draw import Draw
from mivex.core.stage.lighting import Shadows, light_record, shadows_of
from mivex.core.stage.lights import Lighting
from mivex.core.stage.passes import NO_SURFACES, Buffers, Shot, frame_record, run, sink_of

_paint = Lazy("mivex.core.stage.kernels.paint")
_settle = Lazy("mivex.core.stage.kernels.settle")

SORTED = ("blended", "front")
"""Passes whose fragments are kept in lists."""


def in_lists(draws: Iterable[Draw]) -> list[Draw]:
    """Draws in an order in which all that is seen through, decals apart, comes after what is not."""
    blended = GROUPS.index("Blended")
    rows = [replace(d, order=(blended, *d.order[1:]))
            if BLENDS[d.material.blend].see_through and d.order[0] < blended and d.material.group != "Decal" else d
            for d in draws]
    return sorted(rows, key=lambda d: d.order)


def lay_lists(shot: Shot, buffers: Buffers, lighting: Lighting, shadows: Shadows | None,
              box: tuple[int, int, int, int] | None = None) -> None:
    """Draw the sorted passes of a shot over what is in the buffers."""
    view = shot.view
    top, low, left, right = box or (0, view.height, 0, view.width)
    frame = frame_record(view, buffers, lighting)
    light, held = light_record(lighting, shadows)
    plan = [p for p in shot.plan if p.name in SORTED and p.first < p.last]

    def band(first: int, last: int) -> None:
        for p in plan:
            where = np.array([first + top, last + top, left, right, p.first, p.last], np.int64)
            room = _settle.room_for(shot.polys, where, view.width)
            if room:
                sink = sink_of(_paint.KEPT, first + top, last - first, view.width, room)
                _paint.paint(frame, light, shot.records.draws, shot.polys, where, NO_SURFACES, sink)
                _settle.settle(frame, shot.records.draws, shot.polys, where, *sink[2:5])

    run_bands(low - top, band, per_worker=24, least=8)
    del held


def draw_exact(draws: list[Draw], view: View, lighting: Lighting | None = None, *,
               stop: Callable[[], bool] = lambda: False) -> Buffers:
    """Draw a list in exact order; as `draw_all`."""
    lighting = lighting or Lighting()
    rows = in_lists(draws)
    shot = Shot(rows, view)
    shadows = shadows_of(rows, lighting.towards_lamp) if shot.lit and lighting.shadows and lighting.lamp > 0 else None
    if stop():
        raise Stopped
    buffers = Buffers.of(view)
    run(shot, buffers, lighting, shadows, skip=SORTED)
    lay_lists(shot, buffers, lighting, shadows)
    return buffers

"""Light of the stage for the kernels, and the shadows of the lamp."""

import math
import threading
from collections import OrderedDict
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Doubles, Floats
from mivex.core.pixels.blends import BLENDS
from mivex.core.pixels.mips import build_chain
from mivex.core.stage.draw import DrawCall, Records, ShadingInputs
from mivex.core.stage.environment import (
    EVEN_SIDE,
    SIZES,
    TABLE_SIDE,
    environment,
    reflectance_table,
)
from mivex.core.stage.lights import Lighting, PointLamp
from mivex.core.stage.mesh import Mesh
from mivex.core.stage.records import LIGHT, POINTS, POLY

_project = Lazy("mivex.core.stage.kernels.project")
_shadow = Lazy("mivex.core.stage.kernels.shadow")

SHADOW_SIDE = 2048
_FAR = -1e9
_SOLID = build_chain(np.ones((1, 1, 4), np.float32))


@dataclass(frozen=True, eq=False)
class Shadows:
    """What the lamp sees.

    Attributes
    ----------
    seen : float32 array (side, side, 3)
    rows : float64 array (3, 4)
        World to column, row (both in texels) and nearness.
    texel : float
        Metres.
    """

    seen: Floats
    rows: Doubles
    texel: float


def casts(draw: DrawCall) -> bool:
    """Whether a draw keeps the lamp off what lies behind it."""
    return not BLENDS[draw.material.blend].see_through


def lamp_view(meshes: Sequence[Mesh], to: Doubles, side: int) -> tuple[Doubles, float, tuple[float, float]]:
    """What the lamp looks through: world to its axes (3, 4), texels a metre, and the least and greatest way away from it.

    Parameters
    ----------
    meshes : sequence of Mesh
        All that casts shadows.
    to : float64 array (3,)
        Unit direction to the lamp.
    side : int
        Texels a side.
    """
    # A lamp straight above has no "right" of its own: any will do, as long as it is always the same.
    right = np.cross([0.0, 1.0, 0.0], to) if abs(to[1]) < 0.999 else np.array([1.0, 0.0, 0.0])
    right = right / np.linalg.norm(right)
    axes = np.stack([right, np.cross(to, right), -to])
    spots = np.concatenate([m.position for m in meshes]) @ axes.T
    low, high = spots.min(axis=0), spots.max(axis=0)
    # A hundredth and a millimetre more, so that nothing lies on the border, where the picture ends.
    middle, half = (low + high) / 2, float((high - low)[:2].max()) / 2 * 1.01 + 1e-3
    view = np.concatenate([axes, np.array([[-middle[0]], [-middle[1]], [0.0]])], axis=1)
    return view, side / (2 * half), (float(low[2]), float(high[2]))


def lamp_rows(view: Doubles, scale: float, side: int) -> Doubles:
    """World to column and row of the lamp's picture, in texels, and to nearness: (3, 4)."""
    # Texel (0, 0) is at the top left; rows run down while the lamp's second axis runs up.
    rows = np.stack([view[0] * scale, -view[1] * scale, -view[2]])
    rows[0, 3] += side / 2
    rows[1, 3] += side / 2
    return rows


def shadows_of(draws: list[DrawCall], to: Doubles, side: int = SHADOW_SIDE) -> Shadows | None:
    """Draw what the lamp sees of the casters among ``draws``; None where there are none.

    Parameters
    ----------
    draws : list of DrawCall
    to : float64 array (3,)
        Unit direction to the lamp.
    side : int
        Texels a side.
    """
    casters = [d for d in draws if casts(d)]
    if not casters:
        return None
    meshes = [d.mesh if d.transform is None else d.mesh.transformed(d.transform) for d in casters]
    view, scale, _ = lamp_view(meshes, to, side)
    shown = [
        DrawCall(
            d.name, m, ShadingInputs(d.mask or _SOLID, uv_set=d.coat.uv_set, uv_map=d.coat.uv_map), d.material, d.order
        )
        # A caster with holes is drawn by its mask; one without needs no texels at all.
        for d, m in zip(casters, meshes, strict=True)
    ]
    records = Records(shown)
    records.draws["lit"] = [d.mask is not None for d in casters]
    # From behind as well: a panel seen edge on by the camera may be seen from its back by the lamp.
    records.draws["both"] = 1
    polys = np.zeros(sum(len(m.index) for m in meshes), POLY)
    lens = np.array([scale, side / 2, side / 2, 0.0])
    count = 0
    for i, (d, m) in enumerate(zip(casters, meshes, strict=True)):
        count = _project.project(*m.arrays(d.coat.uv_set), records.draws, i, view, lens, polys, count, True)
    polys = _once(polys[:count], records.draws["lit"] != 0, side)
    count = len(polys)
    seen = np.empty((side, side, 3), np.float32)

    def band(first: int, last: int) -> None:
        seen[first:last] = (_FAR, _FAR, 1)
        _shadow.cast(seen, records.draws, polys, count, first, last)

    run_bands(side, band, per_worker=4)
    return Shadows(seen, lamp_rows(view, scale, side), 1 / scale)


MANY_FILLS = 64
"""How often the casters may fill the lamp's view before those that lie in the very same place are looked for."""


def _once(polys: NDArray[Any], pierced: NDArray[np.bool_], side: int) -> NDArray[Any]:
    """Casters without the solid ones that repeat another: the nearest of equals is the same.

    Files that are put together by scripts hold the same surface thousands of times; each would fill the lamp's view
    again. Looking for them takes longer than drawing, unless they fill it often.
    """
    # By area of their boxes: an upper bound that costs a hundredth of drawing them.
    wide = np.clip(polys["right"], 0, side) - np.clip(polys["left"], 0, side)
    high = np.clip(polys["bottom"], 0, side) - np.clip(polys["top"], 0, side)
    if float(wide @ high) < MANY_FILLS * side * side:
        return polys
    alike = polys.copy()
    alike["draw"] = np.where(pierced[polys["draw"]], polys["draw"], -1)
    _, first = np.unique(alike.view(f"V{alike.itemsize}"), return_index=True)
    stays = pierced[polys["draw"]]
    stays[first] = True
    return polys[stays]


_recent: "OrderedDict[tuple[object, ...], tuple[Shadows | None, list[DrawCall]]]" = OrderedDict()
_lock = threading.Lock()
RECENT = 2
"""Shadows that are kept: a picture's do not change with the camera."""


def shadows_for(draws: list[DrawCall], lighting: Lighting, *, lit: bool = True) -> Shadows | None:
    """The lamp's shadows for some draws, the kept ones where casters and lamp are the same; None where there are none."""
    if not (lit and lighting.shadows and lighting.lamp > 0):
        # By what they are made of, not by the draws: these are others whenever the camera moves.
        return None
    casters = [d for d in draws if casts(d)]
    key = (lighting.lamp_turn, lighting.lamp_height, *sorted((id(d.mesh), id(d.mask), id(d.transform)) for d in casters))
    with _lock:
        if key in _recent:
            _recent.move_to_end(key)
            return _recent[key][0]
    made = shadows_of(casters, lighting.towards_lamp)
    with _lock:
        _recent[key] = made, casters  # held, so that their ids stay theirs
        # Two: a window shows one lighting, and the pictures of a check another.
        while len(_recent) > RECENT:
            _recent.popitem(last=False)
    return made


def light_record(
    light: Lighting, shadows: Shadows | None, lamps: Sequence[PointLamp] = ()
) -> tuple[NDArray[Any], tuple[object, ...]]:
    """The light for kernels: one `LIGHT`, and what must be held as long as it is used.

    Of ``lamps`` the first `POINTS` count.
    """
    env, table = environment(light.environment), reflectance_table()
    out = np.zeros(1, LIGHT)
    out["sky"], out["even"], out["table"] = env.sky.ctypes.data, env.even.ctypes.data, table.ctypes.data
    out["levels"], out["even_size"], out["table_size"] = len(SIZES), EVEN_SIDE, TABLE_SIDE
    out["sizes"][0, : len(SIZES)], out["starts"][0, : len(SIZES)] = SIZES, env.starts
    t = math.radians(light.turn)
    out["turn"][0] = math.cos(t), math.sin(t)
    out["strength"] = light.strength
    # Beyond the limit lamps are left out in the order of the list, so that the same ones stay lit.
    out["lamp"][0], out["lamp_colour"][0] = light.towards_lamp, light.lamp
    out["points"] = min(len(lamps), POINTS)
    for k, lamp in enumerate(lamps[:POINTS]):
        out["point"][0, k] = *lamp.at, lamp.reach, *lamp.colour
    if shadows is not None:
        out["shadow"], out["shadow_size"] = shadows.seen.ctypes.data, shadows.seen.shape[0]
        out["shadow_rows"][0], out["shadow_texel"] = shadows.rows, shadows.texel
    return out, (env, table, shadows)

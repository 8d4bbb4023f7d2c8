"""Where particles are born, and which way they set out; in the effect's own axes, whose y is its axis."""

import math
from dataclasses import dataclass

import numpy as np

from mivex.core.base.types import Doubles
from mivex.core.motion.model import Effect, Emission
from mivex.core.motion.rng import PROPERTIES
from mivex.core.stage.mesh import Mesh

_P = {name: i for i, name in enumerate(PROPERTIES)}


@dataclass(frozen=True, eq=False)
class Axes:
    """An effect's own axes.

    Attributes
    ----------
    turn : float64 array (3, 3)
        Columns: its x, y (the axis), z in the world.
    """

    turn: Doubles


def axes_of(effect: Effect) -> Axes:
    """Axes from yaw and pitch of the axis, as a surface's, and a roll about it."""
    yaw, pitch, roll = (math.radians(v) for v in (effect.yaw, effect.pitch, effect.roll))
    axis = np.array([math.sin(yaw) * math.cos(pitch), math.sin(pitch), math.cos(yaw) * math.cos(pitch)])
    over = np.array([0.0, 1.0, 0.0]) if abs(axis[1]) < 0.95 else np.array([0.0, 0.0, -1.0])
    x = np.cross(over, axis)
    x /= np.linalg.norm(x)
    z = np.cross(x, axis)
    c, s = math.cos(roll), math.sin(roll)
    return Axes(np.stack([x * c + z * s, axis, z * c - x * s], axis=1))


def _round(a: Doubles, b: Doubles) -> Doubles:
    """Unit directions, evenly over the sphere: its zones are as large as they are high (Archimedes)."""
    y = 1 - 2 * a
    r = np.sqrt(np.maximum(1 - y * y, 0))
    t = 2 * np.pi * b
    return np.stack([r * np.cos(t), y, r * np.sin(t)], axis=1)


def _cone(axis: Doubles, degrees: float, a: Doubles, b: Doubles) -> Doubles:
    """Unit directions, evenly over a cap of the sphere about ``axis``."""
    low = math.cos(math.radians(degrees))
    y = 1 - (1 - low) * a
    r = np.sqrt(np.maximum(1 - y * y, 0))
    t = 2 * np.pi * b
    local = np.stack([r * np.cos(t), y, r * np.sin(t)], axis=1)
    n = axis / max(float(np.linalg.norm(axis)), 1e-9)
    over = np.array([0.0, 0.0, 1.0]) if abs(n[2]) < 0.95 else np.array([1.0, 0.0, 0.0])
    x = np.cross(n, over)
    x /= np.linalg.norm(x)
    return np.asarray(local @ np.stack([x, n, np.cross(x, n)]))


def _on_mesh(mesh: Mesh, a: Doubles, b: Doubles, c: Doubles) -> tuple[Doubles, Doubles]:
    """Places and normals, evenly over a mesh's surface (Osada et al. 2002)."""
    corners = mesh.corners
    cross = np.cross(corners[:, 1] - corners[:, 0], corners[:, 2] - corners[:, 0])
    area = np.cumsum(np.linalg.norm(cross, axis=1))
    which = np.minimum(np.searchsorted(area, a * area[-1], "right"), len(area) - 1)
    r = np.sqrt(b)
    w = np.stack([1 - r, r * (1 - c), r * c], axis=1)
    n = cross[which]
    return (np.einsum("ij,ijk->ik", w, corners[which]), n / np.maximum(np.linalg.norm(n, axis=1, keepdims=True), 1e-12))


def origins(e: Emission, chance: Doubles, mesh: Mesh | None = None) -> tuple[Doubles, Doubles]:
    """Places (n, 3) in metres and unit directions (n, 3) of births.

    Parameters
    ----------
    e : Emission
    chance : float64 array (n, properties)
    mesh : Mesh, optional
        Without it a mesh's surface is a point.
    """
    a, b, c, d = (chance[:, _P[k]] for k in ("place_a", "place_b", "place_c", "place_d"))
    n, size = len(a), e.size
    up = np.tile([0.0, 1.0, 0.0], (n, 1))
    place, out = np.zeros((n, 3)), up
    if e.form in ("sphere", "half"):
        out = _round(a, b) if e.form == "sphere" else _round(a / 2, b)
        place = out * size[0] * (np.ones(n) if e.skin else np.cbrt(c))[:, None]
    elif e.form in ("disc", "ring"):
        t = 2 * np.pi * a
        flat = np.stack([np.cos(t), np.zeros(n), np.sin(t)], axis=1)
        if e.form == "disc":
            r = np.full(n, size[0]) if e.skin else size[0] * np.sqrt(b)
        else:
            # Evenly over the band between two circles.
            inner, outer = max(size[0] - size[1] / 2, 0.0), size[0] + size[1] / 2
            r = np.full(n, size[0]) if e.skin else np.sqrt(inner**2 + (outer**2 - inner**2) * b)
            out = flat
        place = flat * r[:, None]
    elif e.form == "box":
        place = (np.stack([a, b, c], axis=1) - 0.5) * size
        if e.skin:
            x, y, z = size
            areas = np.cumsum([y * z, y * z, x * z, x * z, x * y, x * y])
            face = np.minimum(np.searchsorted(areas, d * max(areas[-1], 1e-12), "right"), 5)
            axis, side = face // 2, np.where(face % 2, 1.0, -1.0)
            rows = np.arange(n)
            place[rows, axis] = side * np.array(size)[axis] / 2
            out = np.zeros((n, 3))
            out[rows, axis] = side
        else:
            length = np.linalg.norm(place, axis=1, keepdims=True)
            out = np.where(length > 1e-9, place / np.maximum(length, 1e-9), up)
    elif e.form == "line":
        place[:, 0] = (a - 0.5) * size[0]
    elif e.form == "mesh" and mesh is not None and len(mesh.index):
        place, out = _on_mesh(mesh, a, b, c)
    t1, t2 = chance[:, _P["towards"]], chance[:, _P["around"]]
    along = np.array(e.along, np.float64)
    if not along.any():
        along = np.array([0.0, 1.0, 0.0])
    if e.way == "round" or (e.way == "out" and e.form == "point"):
        return place, _round(t1, t2)
    if e.way == "cone":
        return place, _cone(along, e.cone, t1, t2)
    if e.way == "given":
        return place, np.tile(along / np.linalg.norm(along), (n, 1))
    return place, out

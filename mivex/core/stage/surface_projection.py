"""Laying a flat picture on a surface of any shape: by walking over it."""

import math

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.types import Doubles
from mivex.core.stage.mesh import Mesh, crossing

REACH = 0.6
"""How far before or behind the surface a placement may stand, metres."""


class Patch:
    """The part of some meshes within reach of a place."""

    def __init__(self, meshes: list[Mesh], at: Doubles, radius: float) -> None:
        self.meshes: list[Mesh] = []
        for m in meshes:
            low, high = m.corners.min(axis=1), m.corners.max(axis=1)
            near = ((low < at + radius) & (high > at - radius)).all(axis=1)
            if near.any():
                self.meshes.append(Mesh(m.position, m.normal, m.uv0, np.ascontiguousarray(m.index[near])))

    def meet(self, place: Doubles, normal: Doubles, reach: float) -> tuple[Doubles, Doubles] | None:
        """The surface nearest to a place along a direction, at most ``reach`` before or behind it."""
        best: tuple[float, Doubles, Doubles] | None = None
        for m in self.meshes:
            found = crossing(m, place + normal * reach, -normal)
            if found is None or found[0] > 2 * reach:
                continue
            t, i, w = found
            n = w @ m.normal[m.index[i]]
            n = n / max(float(np.linalg.norm(n)), 1e-12)
            n = n if n @ normal >= 0 else -n
            if best is None or t < best[0]:
                best = t, place + normal * (reach - t), n
        return None if best is None else best[1:]


def _walk(
    patch: Patch, place: Doubles, normal: Doubles, along: Doubles, step: float, count: int
) -> list[tuple[Doubles, Doubles, Doubles]]:
    """Places, normals and directions of ``count`` steps over the surface; beyond its edge straight on."""
    rows = []
    for _ in range(count):
        ahead = place + along * step
        found = patch.meet(ahead, normal, abs(step) * 2 + 0.02)
        if found is not None:
            to, n = found
            # As long on the surface as on the flat picture.
            gone = to - place
            length = float(np.linalg.norm(gone))
            if length > 1e-9:
                to = place + gone * (abs(step) / length)
                again = patch.meet(to, n, abs(step) * 2 + 0.02)
                to, n = again if again is not None else (to, n)
            place = to
            along = along - n * (along @ n)
            along, normal = along / max(float(np.linalg.norm(along)), 1e-12), n
        else:
            place = ahead
        rows.append((place, normal, along))
    return rows


def lay(
    meshes: list[Mesh],
    at: Doubles,
    facing: Doubles,
    roll: float,
    size: tuple[float, float],
    pivot: tuple[float, float],
    cells: int = 12,
) -> tuple[Doubles, Doubles]:
    """Lay a rectangle on surfaces, keeping lengths along its middle lines.

    Parameters
    ----------
    meshes : list of Mesh
    at : float64 array (3,)
        Where its pivot lies, or stands before.
    facing : float64 array (3,)
        Unit direction that the surface faces there.
    roll : float
        Degrees, counter-clockwise as seen from the front.
    size : (width, height)
        Metres.
    pivot : (x, y)
        Share of the picture.
    cells : int
        Pieces along each side.

    Returns
    -------
    points, normals : float64 arrays (cells + 1, cells + 1, 3)
        Rows downwards. Where there is no surface it goes straight on.
    """
    width, height = size
    # As far as the corner that lies furthest from the pivot, walked over the surface.
    far = math.hypot(width * max(pivot[0], 1 - pivot[0]), height * max(pivot[1], 1 - pivot[1]))
    patch = Patch(meshes, at, far + REACH)
    found = patch.meet(at, facing, REACH)
    place, n = found if found is not None else (at, facing)
    up = np.array([0.0, 1.0, 0.0]) if abs(n[1]) < 0.95 else np.array([0.0, 0.0, -1.0])
    right = np.cross(up, n)
    right /= np.linalg.norm(right)
    up = np.cross(n, right)
    c, s = math.cos(math.radians(roll)), math.sin(math.radians(roll))
    right, up = right * c + up * s, up * c - right * s
    # The middle line first, from the pivot to both sides; then from each of its places up and down.
    spine = _line(patch, place, n, right, width, pivot[0], cells)
    points, normals = np.empty((cells + 1, cells + 1, 3)), np.empty((cells + 1, cells + 1, 3))
    for i, (p, m, a) in enumerate(spine):
        down = np.cross(a, m)
        for j, (q, k, _) in enumerate(_line(patch, p, m, down, height, pivot[1], cells)):
            points[j, i], normals[j, i] = q, k
    return points, normals


def _line(
    patch: Patch, place: Doubles, normal: Doubles, along: Doubles, length: float, pivot: float, cells: int
) -> list[tuple[Doubles, Doubles, Doubles]]:
    shares: NDArray[np.float64] = np.linspace(0, 1, cells + 1) * length - pivot * length
    before, after = shares[shares < 0][::-1], shares[shares >= 0]
    rows: list[tuple[Doubles, Doubles, Doubles]] = []
    for part, way in ((before, -1.0), (after, 1.0)):
        now = (place, normal, along)
        last, out = 0.0, []
        for s in part:
            step = abs(float(s)) - last
            if step > 1e-9:
                p, n, a = _walk(patch, now[0], now[1], now[2] * way, step, 1)[0]
                now = (p, n, a * way)
            last = abs(float(s))
            out.append(now)
        rows = out[::-1] if way < 0 else rows + out
    return rows

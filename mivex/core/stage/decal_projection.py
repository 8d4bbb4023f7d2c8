"""Decals projected by a box: whatever surface lies inside takes the picture along the box's axis.

References
----------
Sutherland and Hodgman (1974), *Reentrant Polygon Clipping*.
"""

import math

import numpy as np

from mivex.core.base.types import Doubles
from mivex.core.stage.mesh import Mesh

_NOTHING = Mesh(np.zeros((0, 3)), np.zeros((0, 3)), np.zeros((0, 2)), np.zeros((0, 3), np.int64), tint=np.zeros((0, 4)))


def fade(cosine: Doubles, angle: float) -> Doubles:
    """Opacity of a surface that is turned away from the box's axis: full up to half the angle, gone at all of it."""
    low, high = math.cos(math.radians(angle)), math.cos(math.radians(angle / 2))
    t = np.clip((cosine - low) / max(high - low, 1e-9), 0, 1)
    return np.asarray(t * t * (3 - 2 * t))


def _clipped(points: Doubles, axis: int, side: float) -> Doubles:
    """A polygon's corners (n, 6: place in the box's half sizes, normal), cut at one side of the box."""
    inside = points[:, axis] * side <= 1
    if inside.all():
        return points
    if not inside.any():
        return points[:0]
    rows = []
    for k in range(len(points)):
        a, b = points[k], points[(k + 1) % len(points)]
        if inside[k]:
            rows.append(a)
        if inside[k] != inside[(k + 1) % len(points)]:
            t = (side - a[axis]) / (b[axis] - a[axis])
            rows.append(a + (b - a) * t)
    return np.array(rows)


def projected(meshes: list[Mesh], at: Doubles, axes: Doubles, size: tuple[float, float, float], angle: float) -> Mesh:
    """The parts of some meshes inside a box, with the picture along its axis.

    Parameters
    ----------
    meshes : list of Mesh
    at : float64 array (3,)
        Middle of the box.
    axes : float64 array (3, 3)
        Rows: right, up, and against the direction of projection (the way a surface faces that takes it squarely).
    size : (width, height, depth)
        Metres; nothing beyond the depth takes the picture.
    angle : float
        Degrees between a surface and the box's axis from which nothing is left.

    Returns
    -------
    Mesh
        Tinted by the fade with the angle.
    """
    half = np.array(size) / 2
    positions, normals, uvs, tints, index = [], [], [], [], []
    count = 0
    for mesh in meshes:
        local = (mesh.position - at) @ axes.T / half
        corner = local[mesh.index]
        near = ((corner.min(axis=1) < 1) & (corner.max(axis=1) > -1)).all(axis=1)
        e1, e2 = (mesh.corners[:, k] - mesh.corners[:, 0] for k in (1, 2))
        near &= np.cross(e1, e2) @ axes[2] > 0  # what faces away takes nothing
        for t in np.flatnonzero(near):
            polygon = np.concatenate([corner[t], mesh.normal[mesh.index[t]]], axis=1)
            for axis in range(3):
                for side in (1.0, -1.0):
                    if len(polygon):
                        polygon = _clipped(polygon, axis, side)
            if len(polygon) < 3:
                continue
            n = polygon[:, 3:] / np.maximum(np.linalg.norm(polygon[:, 3:], axis=1, keepdims=True), 1e-12)
            seen = np.ones((len(n), 4))
            seen[:, 3] = fade(n @ axes[2], angle)
            positions.append(polygon[:, :3] * half @ axes + at)
            normals.append(n)
            uvs.append(np.stack([polygon[:, 0] / 2 + 0.5, 0.5 - polygon[:, 1] / 2], axis=1))
            tints.append(seen)
            index += [(count, count + k, count + k + 1) for k in range(1, len(n) - 1)]
            count += len(n)
    if not count:
        return _NOTHING
    return Mesh(
        np.concatenate(positions),
        np.concatenate(normals),
        np.concatenate(uvs),
        np.array(index, np.int64),
        tint=np.concatenate(tints),
    )

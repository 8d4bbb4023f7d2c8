"""Simple shapes to place an overlay on: crossed and parallel panels, box, cylinder, dome, curved plate.

All of them stand about the origin, y up, facing z, and carry the picture on UVs whose 0, 0 is its top left corner.
"""

import math
from dataclasses import replace

import numpy as np

from mivex.core.base.types import Doubles
from mivex.core.stage.mesh import Mesh, joined, quad, sheet

ROUND = 32
"""Faces round a whole turn."""


def _panel(width: float, height: float, turn: float = 0.0, z: float = 0.0) -> Mesh:
    c, s = math.cos(turn), math.sin(turn)
    rows = [(x * width / 2, y * height / 2) for x, y in ((-1, 1), (1, 1), (1, -1), (-1, -1))]
    return quad(np.array([(x * c + z * s, y, z * c - x * s) for x, y in rows]))


def crossed(count: int, width: float, height: float) -> Mesh:
    """Upright panels through one axis, evenly turned: two make a cross, three a star."""
    return joined([_panel(width, height, math.pi * k / count) for k in range(count)])


def stack(count: int, width: float, height: float, depth: float, *, solid: bool = False) -> Mesh:
    """Parallel panels one behind another, the farthest first as seen from the front.

    ``solid``: they cut through one solid noise, in which each lies as deep as it stands, in widths of the picture.
    """
    at = np.linspace(-depth / 2, depth / 2, count) if count > 1 else np.zeros(1)
    made = joined([_panel(width, height, z=float(z)) for z in at])
    if not solid:
        return made
    facts = np.zeros((len(made.index), 5))
    facts[:, 1] = np.repeat((at + depth / 2) / width, 2)
    return replace(made, facts=facts)


def box(width: float, height: float, depth: float) -> Mesh:
    """Six faces, each with the whole picture, seen from outside."""
    w, h, d = width / 2, height / 2, depth / 2
    corner = {
        k: np.array([k[0] * w, k[1] * h, k[2] * d]) for k in [(x, y, z) for x in (-1, 1) for y in (-1, 1) for z in (-1, 1)]
    }
    faces = (
        ((-1, 1, 1), (1, 1, 1), (1, -1, 1), (-1, -1, 1)),
        ((1, 1, -1), (-1, 1, -1), (-1, -1, -1), (1, -1, -1)),
        ((1, 1, 1), (1, 1, -1), (1, -1, -1), (1, -1, 1)),
        ((-1, 1, -1), (-1, 1, 1), (-1, -1, 1), (-1, -1, -1)),
        ((-1, 1, -1), (1, 1, -1), (1, 1, 1), (-1, 1, 1)),
        ((-1, -1, 1), (1, -1, 1), (1, -1, -1), (-1, -1, -1)),
    )
    return joined([quad(np.stack([corner[k] for k in f])) for f in faces])


def _arc(width: float, height: float, degrees: float) -> Mesh:
    # ``width``: along the arc; its middle touches the plane z = 0 and bends away from the viewer.
    turn = math.radians(degrees)
    radius = width / turn
    n = max(2, math.ceil(ROUND * degrees / 360))
    t = (np.linspace(0, 1, n + 1) - 0.5) * turn
    v = np.array([1.0, 0.0])
    normal = np.stack([np.sin(t), np.zeros_like(t), np.cos(t)], axis=-1)
    points = np.stack(
        [np.stack([radius * np.sin(t), np.full_like(t, (y - 0.5) * height), radius * (np.cos(t) - 1)], -1) for y in v]
    )
    u = np.linspace(0, 1, n + 1)
    return sheet(points, np.stack([normal, normal]), np.stack([np.stack([u, np.full_like(u, k)], -1) for k in (0.0, 1.0)]))


def cylinder(width: float, height: float) -> Mesh:
    """An open tube of this diameter; the picture goes round once and meets itself at the back."""
    mesh = _arc(width * math.pi, height, 360.0)
    return mesh.transformed(np.array([[1, 0, 0, 0], [0, 1, 0, 0], [0, 0, 1, width / 2]], np.float64))


def curved(width: float, height: float, bend: float) -> Mesh:
    """A plate bent through so many degrees about the upright axis; ``width`` along the bend."""
    return _arc(width, height, max(bend, 0.5))


def dome(width: float, height: float, depth: float) -> Mesh:
    """A bowl towards the viewer, ``depth`` deep; the picture lies on it as seen from the front."""
    rings = 10
    r = np.sin(np.linspace(0, math.pi / 2, rings + 1))
    t = np.linspace(0, 2 * math.pi, ROUND + 1)
    # Outer ring first, so that the rows run downwards as `sheet` wants them.
    r = r[::-1]
    z = np.sqrt(np.clip(1 - r * r, 0, 1))
    x, y = r[:, None] * np.sin(t)[None], r[:, None] * np.cos(t)[None]
    points: Doubles = np.stack([x * width / 2, y * height / 2, np.broadcast_to(z[:, None] * depth, x.shape)], axis=-1)
    deep = max(depth, 1e-6)
    normal = np.stack([x / (width / 2), y / (height / 2), np.broadcast_to(z[:, None] / deep, x.shape)], axis=-1)
    normal /= np.linalg.norm(normal, axis=-1, keepdims=True)
    made = sheet(points, normal, np.stack([x / 2 + 0.5, 0.5 - y / 2], axis=-1))
    corners = made.position[made.index]
    # The innermost ring is a point: its triangles of no area go.
    area = np.linalg.norm(np.cross(corners[:, 1] - corners[:, 0], corners[:, 2] - corners[:, 0]), axis=1)
    index = made.index[area > 1e-12]
    facing = np.einsum(
        "ij,ij->i",
        np.cross(
            made.position[index[:, 1]] - made.position[index[:, 0]], made.position[index[:, 2]] - made.position[index[:, 0]]
        ),
        made.normal[index].sum(axis=1),
    )
    index = np.where(facing[:, None] < 0, index[:, ::-1], index)
    used, compact = np.unique(index, return_inverse=True)
    return Mesh(made.position[used], made.normal[used], made.uv0[used], np.ascontiguousarray(compact.reshape(index.shape)))


def person(height: float = 1.75) -> Mesh:
    """A plain figure of a person's height, standing on the origin: a scale to judge sizes by."""

    def body(radius: float, low: float, high: float) -> Mesh:
        return cylinder(2 * radius, high - low).transformed(
            np.array([[1, 0, 0, 0], [0, 1, 0, (low + high) / 2], [0, 0, 0.6, 0]], np.float64)
        )

    k = height / 1.75
    head = dome(0.22, 0.26, 0.11)
    back = head.transformed(np.array([[-1, 0, 0, 0], [0, 1, 0, 0], [0, 0, -1, 0]], np.float64))
    up = np.array([[1, 0, 0, 0], [0, 1, 0, 1.62], [0, 0, 1, 0]], np.float64)
    legs = [
        body(0.075, 0.0, 0.86).transformed(np.array([[1, 0, 0, x], [0, 1, 0, 0], [0, 0, 1, 0]], np.float64))
        for x in (-0.1, 0.1)
    ]
    arms = [
        body(0.05, 0.72, 1.42).transformed(np.array([[1, 0, 0, x], [0, 1, 0, 0], [0, 0, 1, 0]], np.float64))
        for x in (-0.25, 0.25)
    ]
    trunk = [body(0.19, 0.84, 1.46), body(0.06, 1.44, 1.53)]
    whole = joined([head.transformed(up), back.transformed(up), *trunk, *legs, *arms])
    return whole.transformed(np.array([[k, 0, 0, 0], [0, k, 0, 0], [0, 0, k, 0]], np.float64))

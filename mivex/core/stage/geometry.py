"""Meshes of the stage: triangles with texture coordinates and a shade for each corner.

Shading is deliberately plain and without colour, so that it cannot bias the
eye: an even sky and floor plus one distant white lamp, Lambert's cosine law.
``shade = 0.30 + 0.22·(0.5 + 0.5·n_y) + 0.48·max(0, n·l)``; white never exceeds 1.
"""

import math

import numpy as np

from mivex.core.base.types import Doubles

LAMP = np.array([0.38, 0.72, 0.58]) / np.linalg.norm([0.38, 0.72, 0.58])
"""Direction towards the lamp."""

HULL_AT = (2.25, -3.0)
"""Height and depth (y, z) of the hull's axis, which runs along x; metres."""
HULL_R = 2.0
HULL_FROM, HULL_TO = -3.6, 1.3
BOW_LENGTH = 1.5
"""The bow is half an ellipsoid of this length beyond ``HULL_TO``."""


def shade_of(normals: Doubles) -> Doubles:
    """Shade for unit normals ``(..., 3)``, 0 to 1."""
    return 0.30 + 0.22 * (0.5 + 0.5 * normals[..., 1]) + 0.48 * np.maximum(normals @ LAMP, 0)


def quad(corners: Doubles, uv: tuple[float, float, float, float] = (0, 0, 1, 1), shade: float | None = None) -> Doubles:
    """Two triangles from four corners: top left, top right, bottom right, bottom left, seen from the front.

    Parameters
    ----------
    corners : float64 array (4, 3)
    uv : u0, v0, u1, v1 at the top left and bottom right
    shade : float, optional
        Instead of the one its normal gives.

    Returns
    -------
    float64 array (2, 3, 6): x, y, z, u, v, shade; counter-clockwise from the front.
    """
    n = np.cross(corners[3] - corners[0], corners[1] - corners[0])
    n = n / max(float(np.linalg.norm(n)), 1e-12)
    s = float(shade_of(n)) if shade is None else shade
    u0, v0, u1, v1 = uv
    rows = [(*c, u, v, s) for c, (u, v) in zip(corners, [(u0, v0), (u1, v0), (u1, v1), (u0, v1)], strict=True)]
    return np.array([[rows[0], rows[3], rows[2]], [rows[0], rows[2], rows[1]]])


def sheet(points: Doubles, normals: Doubles, uv: Doubles) -> Doubles:
    """Triangles of a grid of points ``(rows, columns, 3)``, rows downwards as seen from the front."""
    full = np.concatenate([points, uv, shade_of(normals)[..., None]], axis=2)
    a, b, c, d = full[:-1, :-1], full[:-1, 1:], full[1:, 1:], full[1:, :-1]
    tris = np.stack([np.stack([a, d, c], 2), np.stack([a, c, b], 2)], 2)
    return np.ascontiguousarray(tris.reshape(-1, 3, 6))


def hull_point(along: Doubles, around: Doubles) -> tuple[Doubles, Doubles]:
    """Points and normals of the hull's straight part.

    Parameters
    ----------
    along : float64 array
        Metres along the axis (world x).
    around : float64 array
        Degrees; 0 faces the dock (+z), 90 is on top.
    """
    t = np.radians(around)
    n = np.stack([np.zeros_like(t), np.sin(t), np.cos(t)], axis=-1)
    p = np.stack([along, HULL_AT[0] + HULL_R * n[..., 1], HULL_AT[1] + HULL_R * n[..., 2]], axis=-1)
    return p, n


def hull_mesh() -> Doubles:
    """The plated cylinder; u runs along it, v downwards from its top round the front to its bottom."""
    around, along = np.meshgrid(np.linspace(150, -150, 61), np.linspace(HULL_FROM, HULL_TO, 9), indexing="ij")
    p, n = hull_point(along, around)
    uv = np.stack([(along - HULL_FROM) / (HULL_TO - HULL_FROM), (150 - around) / 300], axis=-1)
    return sheet(p, n, uv)


def bow_mesh() -> Doubles:
    """The bow: half an ellipsoid."""
    around, t = np.meshgrid(np.radians(np.linspace(150, -150, 61)), np.linspace(0, math.pi / 2, 13), indexing="ij")
    r = HULL_R * np.cos(t)
    p = np.stack([HULL_TO + BOW_LENGTH * np.sin(t), HULL_AT[0] + r * np.sin(around),
                  HULL_AT[1] + r * np.cos(around)], axis=-1)
    n = np.stack([np.sin(t) / BOW_LENGTH, np.cos(t) * np.sin(around) / HULL_R,
                  np.cos(t) * np.cos(around) / HULL_R], axis=-1)
    n /= np.linalg.norm(n, axis=-1, keepdims=True)
    uv = np.stack([t / (math.pi / 2), (np.radians(150) - around) / np.radians(300)], axis=-1)
    return sheet(p, n, uv)


def crate_mesh(centre: tuple[float, float, float], size: float, yaw: float) -> Doubles:
    """A cube; every side shows the whole texture."""
    h = size / 2
    faces = []
    for k in range(4):
        a = math.radians(yaw + 90 * k)
        out, side = np.array([math.sin(a), 0, math.cos(a)]), np.array([math.cos(a), 0, -math.sin(a)])
        faces.append(np.array([out - side + [0, 1, 0], out + side + [0, 1, 0], out + side - [0, 1, 0],
                               out - side - [0, 1, 0]]))
    a = math.radians(yaw)
    out, side = np.array([math.sin(a), 0, math.cos(a)]), np.array([math.cos(a), 0, -math.sin(a)])
    up = np.array([0.0, 1.0, 0.0])
    faces.append(np.array([up - side - out, up + side - out, up + side + out, up - side + out]))
    return np.concatenate([quad(np.array(centre) + f * h) for f in faces])

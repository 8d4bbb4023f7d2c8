"""Shapes of the dock: the plated hull with its bow, a crate."""

import math

import numpy as np

from mivex.core.base.types import Doubles
from mivex.core.stage.mesh import Mesh, joined, quad, sheet

HULL_AT = (2.25, -3.0)
"""Height and depth (y, z) of the hull's axis, which runs along x; metres."""
HULL_R = 2.0
HULL_FROM, HULL_TO = -3.6, 1.3
BOW_LENGTH = 1.5
"""The bow is half an ellipsoid of this length beyond ``HULL_TO``."""


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


def hull_mesh() -> Mesh:
    """The plated cylinder; u runs along it, v downwards from its top round the front to its bottom."""
    around, along = np.meshgrid(np.linspace(150, -150, 61), np.linspace(HULL_FROM, HULL_TO, 9), indexing="ij")
    p, n = hull_point(along, around)
    uv = np.stack([(along - HULL_FROM) / (HULL_TO - HULL_FROM), (150 - around) / 300], axis=-1)
    return sheet(p, n, uv)


def bow_mesh() -> Mesh:
    """The bow: half an ellipsoid."""
    around, t = np.meshgrid(np.radians(np.linspace(150, -150, 61)), np.linspace(0, math.pi / 2, 13), indexing="ij")
    r = HULL_R * np.cos(t)
    p = np.stack(
        [HULL_TO + BOW_LENGTH * np.sin(t), HULL_AT[0] + r * np.sin(around), HULL_AT[1] + r * np.cos(around)], axis=-1
    )
    n = np.stack(
        [np.sin(t) / BOW_LENGTH, np.cos(t) * np.sin(around) / HULL_R, np.cos(t) * np.cos(around) / HULL_R], axis=-1
    )
    n /= np.linalg.norm(n, axis=-1, keepdims=True)
    uv = np.stack([t / (math.pi / 2), (np.radians(150) - around) / np.radians(300)], axis=-1)
    return sheet(p, n, uv)


def crate_mesh(centre: tuple[float, float, float], size: float, yaw: float) -> Mesh:
    """A cube; every side shows the whole texture."""
    h = size / 2
    faces = []
    for k in range(4):
        a = math.radians(yaw + 90 * k)
        out, side = np.array([math.sin(a), 0, math.cos(a)]), np.array([math.cos(a), 0, -math.sin(a)])
        faces.append(
            np.array([out - side + [0, 1, 0], out + side + [0, 1, 0], out + side - [0, 1, 0], out - side - [0, 1, 0]])
        )
    a = math.radians(yaw)
    out, side = np.array([math.sin(a), 0, math.cos(a)]), np.array([math.cos(a), 0, -math.sin(a)])
    up = np.array([0.0, 1.0, 0.0])
    faces.append(np.array([up - side - out, up + side - out, up + side + out, up - side + out]))
    return joined([quad(np.array(centre) + f * h) for f in faces])

"""Meshes of the stage, and the simple ones that placements are made of."""

from dataclasses import dataclass, replace
from functools import cached_property
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError
from mivex.core.base.lazy import Lazy
from mivex.core.base.messages import Message, named, term
from mivex.core.base.types import Doubles

_kernels = Lazy("mivex.core.stage.kernels.meet")

_WHITE = np.ones((1, 4))
FACTS = ("worn", "through", "right", "down", "next", "left", "top", "wide", "high")
"""What a face may have of its own: how far it has worn away; how far through a solid noise it lies; where, from its own
place in the picture, the next frame lies, and that one's share; and the cell of its own frame."""
_PLAIN = np.zeros((1, len(FACTS)))


@dataclass(frozen=True, eq=False)
class Mesh:
    """Triangles in the world.

    Attributes
    ----------
    position, normal : float64 arrays (n, 3)
        Metres, y up; unit normals.
    uv0 : float64 array (n, 2)
        0, 0 is the top left corner of the texture.
    index : int64 array (m, 3)
        Corners of each triangle, counter-clockwise as seen from the front. Two that follow one another as
        (a, b, c), (a, c, d) and make a parallelogram are drawn as one face.
    uv1 : float64 array (n, 2), optional
        The second UV set.
    tint : float64 array (n, 4), optional
        Multiplies colour and opacity, linear.
    facts : float64 array (m, 9), optional
        Of each triangle; see `FACTS`.
    away : float64 array (m,), optional
        Of each triangle, the distance in metres from the eye by which it takes its own place in the order.
    """

    position: Doubles
    normal: Doubles
    uv0: Doubles
    index: NDArray[np.int64]
    uv1: Doubles | None = None
    tint: Doubles | None = None
    facts: Doubles | None = None
    away: Doubles | None = None

    def uv(self, which: int) -> Doubles:
        """UV set 0 or 1; nowhere (all 0) where the mesh has no such set."""
        found = self.uv1 if which else self.uv0
        return np.zeros_like(self.uv0) if found is None else found

    @property
    def tints(self) -> Doubles:
        """The tint, or one white row."""
        return _WHITE if self.tint is None else self.tint

    def arrays(self, which: int) -> tuple[Doubles, Doubles, Doubles, Doubles, NDArray[np.int64], Doubles]:
        """Position, normal, UVs, tint, index and facts as kernels want them: rows one after the other."""
        f = np.ascontiguousarray
        return (
            f(self.position, np.float64),
            f(self.normal, np.float64),
            f(self.uv(which), np.float64),
            f(self.tints, np.float64),
            f(self.index, np.int64),
            f(_PLAIN if self.facts is None else self.facts, np.float64),
        )

    @cached_property
    def corners(self) -> Doubles:
        """Corners of every triangle, (m, 3, 3)."""
        return np.asarray(self.position[self.index])

    @cached_property
    def bounds(self) -> tuple[Doubles, Doubles]:
        """Least and greatest coordinates."""
        return self.position.min(axis=0), self.position.max(axis=0)

    def transformed(self, transform: Doubles) -> "Mesh":
        """The mesh under a map (3, 4) of the world to itself."""
        turn = transform[:, :3]
        normal = self.normal @ np.linalg.inv(turn)
        normal = normal / np.maximum(np.linalg.norm(normal, axis=1, keepdims=True), 1e-12)
        return replace(self, position=self.position @ turn.T + transform[:, 3], normal=normal)


FARTHEST = 1e6
"""Metres from the origin, and widths of a texture: what lies beyond is nowhere in single precision."""


def checked(mesh: Mesh, subject: str) -> Mesh:
    """A mesh that came from outside, every array of it as the kernels index them; ``subject`` begins the sentence.

    Raises
    ------
    MivexError
        Corners that are missing, not finite or farther away than `FARTHEST`; UVs, normals or tints likewise, or not one
        for each corner.
    """
    n = len(mesh.position)

    def rows(values: Any, wide: int, what: str, far: float) -> None:
        if values is None:
            return
        if values.shape != (n, wide):
            raise MivexError(
                Message(
                    "{subject} has {what} that do not fit its corners: {parts}, where {n}x{wide} are due.",
                    subject=term(subject),
                    what=term(what),
                    parts=named("x", map(str, values.shape)),
                    n=n,
                    wide=wide,
                )
            )
        if not np.isfinite(values).all() or (n and float(np.abs(values).max()) > far):
            raise MivexError(
                Message(
                    "{subject} has {what} that are no numbers, or beyond {far:,.0f}.",
                    subject=term(subject),
                    what=term(what),
                    far=far,
                )
            )

    rows(mesh.position, 3, "corners", FARTHEST)
    rows(mesh.normal, 3, "normals", FARTHEST)
    rows(mesh.uv0, 2, "UVs", FARTHEST)
    rows(mesh.uv1, 2, "UVs of a second set", FARTHEST)
    rows(mesh.tint, 4, "colours of corners", FARTHEST)
    index = mesh.index
    if index.ndim != 2 or index.shape[1] != 3 or (len(index) and (index.min() < 0 or index.max() >= n)):
        raise MivexError(Message("{subject} has triangles of corners that are not there.", subject=term(subject)))
    return mesh


def joined(parts: list[Mesh]) -> Mesh:
    """Several meshes as one; second UV sets, tints and facts are kept where all have them."""
    starts = np.cumsum([0] + [len(p.position) for p in parts])
    second: Any = [p.uv1 for p in parts]
    tints: Any = [p.tint for p in parts]
    facts: Any = [p.facts for p in parts]
    return Mesh(
        np.concatenate([p.position for p in parts]),
        np.concatenate([p.normal for p in parts]),
        np.concatenate([p.uv0 for p in parts]),
        np.concatenate([p.index + s for p, s in zip(parts, starts, strict=False)]),
        np.concatenate(second) if all(s is not None for s in second) else None,
        np.concatenate(tints) if all(s is not None for s in tints) else None,
        np.concatenate(facts) if all(s is not None for s in facts) else None,
    )


_TWO = np.array([[0, 3, 2], [0, 2, 1]], np.int64)


def quad(corners: Doubles, uv: tuple[float, float, float, float] = (0, 0, 1, 1)) -> Mesh:
    """One flat face from four corners: top left, top right, bottom right, bottom left, seen from the front.

    Parameters
    ----------
    corners : float64 array (4, 3)
    uv : u0, v0, u1, v1 at the top left and bottom right
    """
    n = np.cross(corners[3] - corners[0], corners[1] - corners[0])
    n = n / max(float(np.linalg.norm(n)), 1e-12)
    u0, v0, u1, v1 = uv
    return Mesh(
        np.asarray(corners, np.float64),
        np.repeat(n[None], 4, axis=0),
        np.array([(u0, v0), (u1, v0), (u1, v1), (u0, v1)]),
        _TWO,
    )


def outlined(mesh: Mesh, corners: Doubles) -> Mesh:
    """A flat face (see `quad`) cut to a polygon.

    Parameters
    ----------
    mesh : Mesh
    corners : float64 array (n, 2)
        Convex, as shares of the face from its top left corner, clockwise as seen from the front.
    """
    p, u = mesh.position, mesh.uv0
    a, b = corners[:, :1], corners[:, 1:]
    index = np.array([(0, i + 1, i) for i in range(len(corners) - 2, 0, -1)], np.int64)
    return replace(
        mesh,
        position=p[0] + a * (p[1] - p[0]) + b * (p[3] - p[0]),
        normal=np.repeat(mesh.normal[:1], len(a), axis=0),
        uv0=u[0] + a * (u[1] - u[0]) + b * (u[3] - u[0]),
        index=index,
    )


def sheet(points: Doubles, normals: Doubles, uv: Doubles) -> Mesh:
    """A grid of points ``(rows, columns, 3)``, rows downwards as seen from the front."""
    h, w = points.shape[:2]
    at = np.arange(h * w, dtype=np.int64).reshape(h, w)
    a, b, c, d = at[:-1, :-1], at[:-1, 1:], at[1:, 1:], at[1:, :-1]
    index = np.stack([np.stack([a, d, c], 2), np.stack([a, c, b], 2)], 2).reshape(-1, 3)
    return Mesh(
        points.reshape(-1, 3).astype(np.float64),
        normals.reshape(-1, 3).astype(np.float64),
        uv.reshape(-1, 2).astype(np.float64),
        np.ascontiguousarray(index),
    )


def crossing(mesh: Mesh, origin: Doubles, ray: Doubles) -> tuple[float, int, Doubles] | None:
    """Nearest crossing of a ray with a mesh: distance, triangle, weights of its three corners; or None."""
    position, index = np.ascontiguousarray(mesh.position), np.ascontiguousarray(mesh.index)
    d, i, b, c = _kernels.nearest(position, index, *(float(v) for v in origin), *(float(v) for v in ray))
    return None if i < 0 else (d, i, np.array([1 - b - c, b, c]))


def nearest_point(mesh: Mesh, eye: Doubles) -> Doubles:
    """The point of a mesh that is nearest to another; (3,).

    Ericson (2005), *Real-Time Collision Detection*, 5.1.5: the nearest of each triangle's interior, edges and corners.
    """
    a, b, c = (mesh.corners[:, k] for k in range(3))
    found = []
    n = np.cross(b - a, c - a)
    area = np.maximum((n * n).sum(axis=1), 1e-30)
    at = eye - n * (((eye - a) * n).sum(axis=1) / area)[:, None]
    inside = np.ones(len(a), bool)
    for p, q in ((a, b), (b, c), (c, a)):
        side = q - p
        t = np.clip(((eye - p) * side).sum(axis=1) / np.maximum((side * side).sum(axis=1), 1e-30), 0, 1)
        found.append(p + side * t[:, None])
        inside &= (np.cross(side, at - p) * n).sum(axis=1) >= 0
    found.append(np.where(inside[:, None], at, a))
    points = np.concatenate(found)
    return np.asarray(points[np.argmin(((points - eye) ** 2).sum(axis=1))])

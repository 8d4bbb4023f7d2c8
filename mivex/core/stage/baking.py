"""Masks worked out from a mesh and laid into its UVs: shut-in places, hollows, edges, position, facing, thickness.

References
----------
Cosine-weighted directions by Malley's method (a disc lifted to the hemisphere) over Hammersley points, turned at
every texel. Normal curvature along an edge ``(n_j − n_i)·(p_j − p_i) / |p_j − p_i|²`` (Taubin 1995), averaged round a
vertex to mean curvature.
"""

import math
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import WORKERS, run_bands
from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.kept import memoized_on
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Doubles, Floats
from mivex.core.pixels.nearest import nearest
from mivex.core.stage.creases import edges_at
from mivex.core.stage.mesh import Mesh

_kernels = Lazy("mivex.core.stage.kernels.bake")
BATCH = 1 << 18
"""Rays that are cast in one go."""
LIFT = 1e-5
"""How far above its face a ray begins, in units of the mesh's longest side: some hundred steps of single precision."""
GUTTER = 8
"""Texels by which islands are carried outwards, so that filtering finds no gap."""
AXES = {"right": (1, 0, 0), "left": (-1, 0, 0), "up": (0, 1, 0), "down": (0, -1, 0), "front": (0, 0, 1), "back": (0, 0, -1)}
Ints = NDArray[np.int64]


@dataclass(frozen=True, eq=False)
class Spots:
    """Where the texels of a picture lie on a mesh.

    Attributes
    ----------
    face : int32 array (h, w)
        Triangle under each texel; −1: none.
    rows, columns : int arrays (n,)
        Texels that have one.
    position, normal : float64 arrays (n, 3)
    weights : float64 array (n, 3)
        Of the triangle's corners.
    """

    face: NDArray[np.int32]
    rows: Ints
    columns: Ints
    position: Doubles
    normal: Doubles
    weights: Doubles


_AS_IT_IS = np.eye(2, 3)


def face_map(
    mesh: Mesh,
    size: tuple[int, int],
    uv_set: int,
    rows: Doubles = _AS_IT_IS,
    weights: tuple[Doubles, Doubles] | None = None,
) -> tuple[NDArray[np.int32], Doubles]:
    """The triangle over each texel's centre, int32 (h, w), −1: none; and the triangles' corners in texels, (m, 3, 2).

    Parameters
    ----------
    mesh : Mesh
    size : (height, width)
    uv_set : int
    rows : float64 array (2, 3)
        The map that lays the UVs into the picture.
    weights : (second, third), optional
        Filled with the weights of the triangle's second and third corner, (h, w).
    """
    h, w = size
    face = np.full((h, w), -1, np.int32)
    s, t = weights if weights is not None else (np.empty((h, w)), np.empty((h, w)))
    # UVs beyond the picture read it as if it repeated: each triangle is brought back by whole pictures.
    corners = (mesh.uv(uv_set) @ rows[:, :2].T + rows[:, 2])[mesh.index]
    corners = (corners - np.floor(corners.mean(axis=1, keepdims=True))) * [w, h]
    uv = np.ascontiguousarray(corners.reshape(-1, 2))
    index = np.arange(len(uv), dtype=np.int64).reshape(-1, 3)
    run_bands(h, lambda a, b: _kernels.faces_rows(uv, index, face, s, t, a, b))
    return face, np.ascontiguousarray(corners)


def spots_of(mesh: Mesh, size: tuple[int, int], uv_set: int = 0) -> Spots:
    """Lay a picture's texels onto a mesh.

    Parameters
    ----------
    mesh : Mesh
    size : (height, width)
    uv_set : int

    Raises
    ------
    MivexError
        Nothing of the mesh lies within the picture.
    """
    h, w = size

    def make() -> Spots:
        s, t = np.zeros((h, w)), np.zeros((h, w))
        face, _ = face_map(mesh, size, uv_set, weights=(s, t))
        y, x = np.nonzero(face >= 0)
        if not len(y):
            raise MivexError("nothing of the mesh lies within the picture; its UVs are elsewhere.")
        position, normal, weights = (np.empty((len(y), 3)) for _ in range(3))
        f = np.ascontiguousarray
        index, corner, each = f(mesh.index, np.int64), f(mesh.position, np.float64), f(mesh.normal, np.float64)
        run_bands(
            len(y),
            lambda a, b: _kernels.lie_rows(y, x, face, s, t, index, corner, each, weights, position, normal, a, b),
        )
        return Spots(face, y, x, position, normal, weights)

    return memoized_on(mesh, ("spots", size, uv_set), make)


def overlap(mesh: Mesh, uv_set: int = 0, side: int = 256) -> float:
    """Share of what a mesh's UVs cover that more than one face lies on.

    Parameters
    ----------
    mesh : Mesh
    uv_set : int
    side : int
        Texels of the picture on which it is counted.
    """

    def make() -> float:
        corners = mesh.uv(uv_set)[mesh.index] * side
        a, b = corners[:, 1] - corners[:, 0], corners[:, 2] - corners[:, 0]
        laid = float(np.abs(a[:, 0] * b[:, 1] - a[:, 1] * b[:, 0]).sum()) / 2
        try:
            covered = len(spots_of(mesh, (side, side), uv_set).rows)
        except MivexError:
            return 0.0
        return max(0.0, laid / max(covered, 1) - 1)

    return memoized_on(mesh, ("overlap", uv_set), make)


def spread_out(values: NDArray[np.float64] | Floats, spots: Spots) -> Floats:
    """Values of spots as a picture, carried beyond the islands' borders; float32 (h, w)."""
    out: Floats = np.zeros(spots.face.shape, np.float32)
    out[spots.rows, spots.columns] = values
    inside = spots.face >= 0
    if inside.all():
        return out
    index, far = nearest(inside)
    return np.where(far <= GUTTER, out.reshape(-1)[index], 0).astype(np.float32)


def _hemisphere(rays: int) -> Doubles:
    """Cosine-weighted directions about +z, (rays, 3): Hammersley points on a disc, lifted."""
    i = np.arange(rays)
    radical = np.array([int(f"{k:032b}"[::-1], 2) / 2**32 for k in i])
    r, a = np.sqrt((i + 0.5) / rays), radical * math.tau
    return np.stack([r * np.cos(a), r * np.sin(a), np.sqrt(np.maximum(1 - r * r, 0))], axis=1)


def _frames(normal: Doubles) -> tuple[Doubles, Doubles]:
    """Two directions across each normal (Duff et al. 2017, *Building an Orthonormal Basis, Revisited*)."""
    x, y, z = normal.T
    sign = np.where(z >= 0, 1.0, -1.0)
    a = -1 / (sign + z)
    b = x * y * a
    return (np.stack([1 + sign * x * x * a, sign * b, -sign * x], axis=1), np.stack([b, sign + y * y * a, -y], axis=1))


def ray_scene(mesh: Mesh) -> tuple[Any, Doubles, float]:
    """What rays are cast into, about its middle and in units of its longest side; that middle and that side."""

    def make() -> tuple[Any, Doubles, float]:
        from embreex.mesh_construction import TriangleMesh
        from embreex.rtcore_scene import EmbreeScene

        scene = EmbreeScene()
        low, high = mesh.bounds
        middle, extent = (low + high) / 2, max(float((high - low).max()), 1e-12)
        TriangleMesh(scene, ((mesh.corners - middle) / extent).astype(np.float32))
        return scene, middle, extent

    return memoized_on(mesh, "rays", make)


def _cast(
    mesh: Mesh,
    spots: Spots,
    rays: int,
    reach: float,
    *,
    inward: bool,
    stop: Callable[[], bool],
    tell: Callable[[float], object],
) -> Doubles:
    """Mean over rays of what they meet: 1 where shut in (inward: where the other side is near), 0 where free."""
    scene, middle, extent = ray_scene(mesh)
    # Rays are cast about the middle, in units of the mesh: their single precision is of no use far from the origin.
    origin, normal, reach = (spots.position - middle) / extent, spots.normal, reach / extent
    about = _hemisphere(rays)
    # A turn for every spot that depends on where it lies, not on how many there are.
    turn = np.modf(np.abs(np.sin(origin @ [127.1, 311.7, 74.7]) * 43758.5453))[0] * math.tau
    c, s = np.cos(turn)[:, None], np.sin(turn)[:, None]
    way = -normal if inward else normal
    across, along = _frames(way)
    across, along = across * c + along * s, along * c - across * s
    out = np.zeros(len(origin))

    def batch(first: int, last: int) -> None:
        n = (last - first) * rays
        begin, ray = np.empty((n, 3), np.float32), np.empty((n, 3), np.float32)
        _kernels.aim_rays(
            origin[first:last], across[first:last], along[first:last], way[first:last], about, LIFT, begin, ray
        )
        limit = np.full(n, reach, np.float32)
        # Neither holds Python's lock while it casts: two batches at a time take half as long.
        if inward:
            far = np.asarray(scene.run(begin, ray, query="DISTANCE", dists=limit), np.float64)
            out[first:last] = 1 - np.clip(far.reshape(-1, rays) / reach, 0, 1).mean(axis=1)
        else:
            met = np.asarray(scene.run(begin, ray, query="OCCLUDED", dists=limit))
            out[first:last] = (met.reshape(-1, rays) != -1).mean(axis=1)

    some = max(1, BATCH // rays)
    for i in range(0, len(origin), some * WORKERS):
        if stop():
            raise Stopped
        end = min(i + some * WORKERS, len(origin))
        run_bands(end - i, lambda a, b, i=i: batch(i + a, i + b), per_worker=1)  # type: ignore[misc]
        tell(end / len(origin))
    return out


@dataclass(frozen=True)
class Probe:
    """What is looked for on a mesh.

    Attributes
    ----------
    kind : str
        ``occlusion``, ``cavity``, ``edges``, ``position``, ``facing`` or ``thickness``.
    reach, edge : float
        Shares of the mesh's longest side: how far rays look, how large a rounding counts.
    rays : int
        A texel.
    axis : str
        Where bright is; see `AXES`.
    low, high : float
        Where the position's ramp begins and ends.
    uv_set : int
    """

    kind: str
    reach: float = 0.2
    rays: int = 32
    axis: str = "down"
    low: float = 0.0
    high: float = 1.0
    edge: float = 0.02
    uv_set: int = 0


def geometry_mask(
    mesh: Mesh,
    probe: Probe,
    size: tuple[int, int],
    stop: Callable[[], bool] = lambda: False,
    tell: Callable[[float], object] = lambda _: None,
) -> Floats:
    """A mask from a mesh, laid into its UVs.

    Parameters
    ----------
    mesh : Mesh
    probe : Probe
    size : (height, width)
    stop, tell : callable
        Asked between batches, true raises Stopped; told the share that is done.

    Returns
    -------
    float32 array (height, width) in [0, 1]
    """
    spots = spots_of(mesh, size, probe.uv_set)
    extent = max(float(np.ptp(mesh.position, axis=0).max()), 1e-12)
    if probe.kind in ("occlusion", "cavity", "thickness"):
        inward = probe.kind == "thickness"
        found = _cast(mesh, spots, probe.rays, probe.reach * extent, inward=inward, stop=stop, tell=tell)
        return spread_out(np.clip(found * 2, 0, 1) if probe.kind == "cavity" else found, spots)
    way = np.array(AXES[probe.axis], np.float64)
    if probe.kind == "position":
        along = mesh.position @ way
        t = (spots.position @ way - along.min()) / max(float(np.ptp(along)), 1e-12)
        return spread_out(np.clip((t - probe.low) / max(probe.high - probe.low, 1e-3), 0, 1), spots)
    if probe.kind == "facing":
        return spread_out(np.clip(spots.normal @ way, 0, 1), spots)
    face = spots.face[spots.rows, spots.columns].astype(np.int64)
    return spread_out(edges_at(mesh, face, spots.weights, spots.position, probe.edge * extent), spots)

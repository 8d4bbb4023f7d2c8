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

from mivex.core.base.bands import run_bands
from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.kept import memoized_on
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Doubles, Floats
from mivex.core.pixels.nearest import nearest
from mivex.core.stage.mesh import Mesh

_kernels = Lazy("mivex.core.stage.kernels.bake")
BATCH = 1 << 18
"""Rays that are cast in one go."""
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
        face = np.full((h, w), -1, np.int32)
        s, t = np.zeros((h, w)), np.zeros((h, w))
        # UVs beyond the picture read it as if it repeated: each triangle is brought back by whole pictures.
        corners = mesh.uv(uv_set)[mesh.index]
        corners = corners - np.floor(corners.mean(axis=1, keepdims=True))
        uv = np.ascontiguousarray(corners.reshape(-1, 2) * [w, h])
        index = np.arange(len(uv), dtype=np.int64).reshape(-1, 3)
        run_bands(h, lambda a, b: _kernels.faces_rows(uv, index, face, s, t, a, b))
        y, x = np.nonzero(face >= 0)
        if not len(y):
            raise MivexError("nothing of the mesh lies within the picture; its UVs are elsewhere.")
        b, c = s[y, x], t[y, x]
        weights = np.stack([1 - b - c, b, c], axis=1)
        corner = mesh.index[face[y, x]]
        position = (mesh.position[corner] * weights[..., None]).sum(axis=1)
        normal = (mesh.normal[corner] * weights[..., None]).sum(axis=1)
        normal /= np.maximum(np.linalg.norm(normal, axis=1, keepdims=True), 1e-12)
        return Spots(face, y, x, position, normal, weights)

    return memoized_on(mesh, ("spots", size, uv_set), make)


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


def _ray_scene(mesh: Mesh) -> tuple[Any, Doubles, float]:
    """What rays are cast into, about its middle and in units of its longest side; that middle and that side."""
    from embreex.mesh_construction import TriangleMesh
    from embreex.rtcore_scene import EmbreeScene

    scene = EmbreeScene()
    low, high = mesh.bounds
    middle, extent = (low + high) / 2, max(float((high - low).max()), 1e-12)
    TriangleMesh(scene, ((mesh.corners - middle) / extent).astype(np.float32))
    return scene, middle, extent


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
    scene, middle, extent = memoized_on(mesh, "rays", lambda: _ray_scene(mesh))
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
    some = max(1, BATCH // rays)
    for i in range(0, len(origin), some):
        if stop():
            raise Stopped
        part = slice(i, min(i + some, len(origin)))
        d = (
            across[part, None] * about[None, :, :1]
            + along[part, None] * about[None, :, 1:2]
            + way[part, None] * about[None, :, 2:]
        )
        begin = np.repeat((origin[part] + way[part] * 1e-5)[:, None], rays, axis=1)
        n = d.shape[0] * rays
        if inward:
            far = scene.run(
                begin.reshape(n, 3).astype(np.float32),
                d.reshape(n, 3).astype(np.float32),
                query="DISTANCE",
                dists=np.full(n, reach, np.float32),
            )
            out[part] = 1 - np.clip(np.asarray(far, np.float64).reshape(-1, rays) / reach, 0, 1).mean(axis=1)
        else:
            free = scene.run(
                begin.reshape(n, 3).astype(np.float32),
                d.reshape(n, 3).astype(np.float32),
                query="OCCLUDED",
                dists=np.full(n, reach, np.float32),
            )
            out[part] = (np.asarray(free).reshape(-1, rays) != -1).mean(axis=1)
        tell(part.stop / len(origin))
    return out


def welded(mesh: Mesh) -> Ints:
    """A number for every vertex, the same for those at one place."""

    def make() -> Ints:
        extent = max(float(np.ptp(mesh.position, axis=0).max()), 1e-9)
        return np.unique(np.round(mesh.position / (extent * 1e-6)).astype(np.int64), axis=0, return_inverse=True)[
            1
        ].reshape(-1)

    return memoized_on(mesh, "welded", make)


SHARP = math.radians(20)
"""An edge from this angle on is a crease; what is finely cut from a curve turns less."""


def _met(mesh: Mesh) -> tuple[Ints, Ints, Ints, NDArray[np.float64], NDArray[np.bool_]]:
    """Where two faces meet: both faces, the corner of the first that begins their edge, the angle, whether outwards."""

    def make() -> tuple[Ints, Ints, Ints, NDArray[np.float64], NDArray[np.bool_]]:
        f = welded(mesh)[mesh.index]
        a, b, c = (mesh.position[mesh.index[:, k]] for k in range(3))
        n = np.cross(b - a, c - a)
        n /= np.maximum(np.linalg.norm(n, axis=1, keepdims=True), 1e-20)
        middle = (a + b + c) / 3
        m = len(f)
        pairs = np.concatenate([np.sort(f[:, [k, (k + 1) % 3]], axis=1) for k in range(3)])
        order = np.lexsort((pairs[:, 1], pairs[:, 0]))
        same = (pairs[order][1:] == pairs[order][:-1]).all(axis=1)
        i, j = order[:-1][same], order[1:][same]
        ti, tj = i % m, j % m
        angle = np.arccos(np.clip((n[ti] * n[tj]).sum(1), -1, 1))
        return ti, tj, i // m, angle, ((middle[tj] - middle[ti]) * n[ti]).sum(1) < 0

    return memoized_on(mesh, "met", make)


def _smooth(mesh: Mesh) -> Ints:
    """A number for every corner of every face (m, 3), the same where faces go on smoothly round a vertex."""

    def make() -> Ints:
        from scipy.sparse import coo_matrix
        from scipy.sparse.csgraph import connected_components

        first, second, side, angle, _ = _met(mesh)
        at, m = welded(mesh)[mesh.index], len(mesh.index)
        rows, columns = [], []
        soft = angle <= SHARP
        i, j, k = first[soft], second[soft], side[soft]
        for step in (0, 1):
            mine = (k + step) % 3
            there = at[i, mine]
            for other in range(3):
                hit = at[j, other] == there
                rows.append(i[hit] * 3 + mine[hit])
                columns.append(j[hit] * 3 + other)
        a, b = np.concatenate(rows), np.concatenate(columns)
        joined = coo_matrix((np.ones(len(a), np.int8), (a, b)), shape=(3 * m, 3 * m))
        return connected_components(joined, directed=False)[1].astype(np.int64).reshape(m, 3)

    return memoized_on(mesh, "smooth", make)


def curvature(mesh: Mesh) -> Doubles:
    """Mean curvature at every corner of every face (m, 3), 1/m: 1/R on a sphere, 1/2R on a cylinder.

    Above zero the surface bulges. It is fitted to what goes on smoothly: a flat face beside a crease is flat up to it.
    """
    at = _smooth(mesh)
    n = int(at.max()) + 1
    position, normal = np.zeros((n, 3)), np.zeros((n, 3))
    position[at] = mesh.corners
    a, b, c = (mesh.corners[:, k] for k in range(3))
    # By the angle of each face there (Thuermer, Wuethrich 1998): a face that is cut in two counts no more.
    face = np.cross(b - a, c - a)
    face /= np.maximum(np.linalg.norm(face, axis=1, keepdims=True), 1e-20)
    for k in range(3):
        u, v = mesh.corners[:, (k + 1) % 3] - mesh.corners[:, k], mesh.corners[:, (k + 2) % 3] - mesh.corners[:, k]
        cos = (u * v).sum(1) / np.maximum(np.linalg.norm(u, axis=1) * np.linalg.norm(v, axis=1), 1e-20)
        np.add.at(normal, at[:, k], face * np.arccos(np.clip(cos, -1, 1))[:, None])
    normal /= np.maximum(np.linalg.norm(normal, axis=1, keepdims=True), 1e-20)
    bent = np.zeros((n, 3, 3))
    count = np.zeros(n)
    # The map from a step on the surface to the turn of the normal, by least squares round each vertex.
    steps = np.zeros((n, 3, 3))
    for i, j in ((0, 1), (1, 2), (2, 0)):
        for p, q in ((i, j), (j, i)):
            u, v = at[:, p], at[:, q]
            d, t = position[v] - position[u], normal[v] - normal[u]
            d = d - normal[u] * (d * normal[u]).sum(1, keepdims=True)
            t = t - normal[u] * (t * normal[u]).sum(1, keepdims=True)
            np.add.at(steps, u, d[:, :, None] * d[:, None, :])
            np.add.at(bent, u, t[:, :, None] * d[:, None, :])
            np.add.at(count, u, 1)
    # Across the normal nothing is known; it is filled so that the rest can be solved.
    scale = np.trace(steps, axis1=1, axis2=2)[:, None, None] / 2
    whole = steps + normal[:, :, None] * normal[:, None, :] * np.maximum(scale, 1e-20)
    whole += np.eye(3) * np.maximum(scale, 1e-20) * 1e-9
    shape = bent @ np.linalg.inv(whole)
    return np.where(count > 0, np.trace(shape, axis1=1, axis2=2) / 2, 0.0)[at]


def _creases(mesh: Mesh) -> tuple[Doubles, Doubles, Doubles]:
    """Edges where the surface turns outwards by more than `SHARP`: both ends (n, 3), and the angle."""
    face, _, side, angle, outwards = _met(mesh)
    sharp = outwards & (angle > SHARP)
    corners, rows = mesh.corners[face[sharp]], np.arange(int(sharp.sum()))
    return corners[rows, side[sharp]], corners[rows, (side[sharp] + 1) % 3], angle[sharp]


def _edges(mesh: Mesh, spots: Spots, size: float) -> Doubles:
    """How much of an edge lies near each spot: smooth bulges by their radius, creases by their angle and distance."""
    face = spots.face[spots.rows, spots.columns]
    bulge = np.clip((curvature(mesh)[face] * spots.weights).sum(axis=1) * size, 0, 1)
    first, last, angle = _creases(mesh)
    if not len(angle):
        return np.asarray(bulge)
    from scipy.spatial import cKDTree

    # Points along the creases, closer together than what is told apart.
    count = np.clip(np.ceil(np.linalg.norm(last - first, axis=1) / (size / 6)).astype(int) + 1, 2, 400)
    which = np.repeat(np.arange(len(angle)), count)
    step = np.arange(len(which)) - np.repeat(np.cumsum(count) - count, count)
    t = (step / np.repeat(count - 1, count))[:, None]
    points = first[which] + (last - first)[which] * t
    _, near = cKDTree(points).query(spots.position, k=min(2, len(points)), distance_upper_bound=1.1 * size, workers=-1)
    crease = np.zeros(len(spots.position))
    for some in np.atleast_2d(near.T):
        there = np.flatnonzero(some < len(points))
        edge = which[some[there]]
        # The crease itself, not the point on it that was looked for: else its points would show as beads.
        a, along = first[edge], (last - first)[edge]
        step = ((spots.position[there] - a) * along).sum(1) / np.maximum((along * along).sum(1), 1e-20)
        off = np.linalg.norm(spots.position[there] - a - along * np.clip(step, 0, 1)[:, None], axis=1)
        found = np.clip(1 - off / size, 0, 1) * np.clip(angle[edge] / math.radians(60), 0, 1)
        crease[there] = np.maximum(crease[there], found)
    return np.asarray(np.maximum(bulge, crease))


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
    return spread_out(_edges(mesh, spots, probe.edge * extent), spots)

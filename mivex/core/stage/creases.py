"""Creases and curvature of a mesh: where its surface turns, at once or by and by.

Reference: normal curvature along an edge ``(n_j − n_i)·(p_j − p_i) / |p_j − p_i|²`` (Taubin 1995), averaged round a
vertex to mean curvature.
"""

import math

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.kept import memoized_on
from mivex.core.base.types import Doubles
from mivex.core.stage.mesh import Mesh

Ints = NDArray[np.int64]


def welded(mesh: Mesh) -> Ints:
    """A number for every vertex, the same for those at one place."""

    def make() -> Ints:
        extent = max(float(np.ptp(mesh.position, axis=0).max()), 1e-9)
        # A millionth of the longest side: exporters write corners of one place with rounding in the last digits.
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
        # An edge by its two welded ends, the smaller first: both faces give the same pair.
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
        # Faces on both sides of a soft edge share a corner there; those across a crease have one each.
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
    # The normal's own direction is known to have no step; any value there leaves the trace of the rest as it is.
    whole = steps + normal[:, :, None] * normal[:, None, :] * np.maximum(scale, 1e-20)
    # A billionth, for vertices whose faces all lie in one line.
    whole += np.eye(3) * np.maximum(scale, 1e-20) * 1e-9
    shape = bent @ np.linalg.inv(whole)
    return np.where(count > 0, np.trace(shape, axis1=1, axis2=2) / 2, 0.0)[at]


def _creases(mesh: Mesh) -> tuple[Doubles, Doubles, Doubles]:
    """Edges where the surface turns outwards by more than `SHARP`: both ends (n, 3), and the angle."""
    face, _, side, angle, outwards = _met(mesh)
    sharp = outwards & (angle > SHARP)
    corners, rows = mesh.corners[face[sharp]], np.arange(int(sharp.sum()))
    return corners[rows, side[sharp]], corners[rows, (side[sharp] + 1) % 3], angle[sharp]


def edges_at(mesh: Mesh, face: Ints, weights: Doubles, position: Doubles, size: float) -> Doubles:
    """How much of an edge lies near each spot: smooth bulges by their radius, creases by their angle and distance."""
    bulge = np.clip((curvature(mesh)[face] * weights).sum(axis=1) * size, 0, 1)
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
    # A tenth farther than counts: the point that is found is not yet the nearest place of its crease.
    _, near = cKDTree(points).query(position, k=min(4, len(points)), distance_upper_bound=1.1 * size, workers=-1)
    crease = np.zeros(len(position))
    for some in np.atleast_2d(near.T):
        there = np.flatnonzero(some < len(points))
        edge = which[some[there]]
        # The crease itself, not the point on it that was looked for: else its points would show as beads.
        a, along = first[edge], (last - first)[edge]
        step = ((position[there] - a) * along).sum(1) / np.maximum((along * along).sum(1), 1e-20)
        off = np.linalg.norm(position[there] - a - along * np.clip(step, 0, 1)[:, None], axis=1)
        found = np.clip(1 - off / size, 0, 1) * np.clip(angle[edge] / math.radians(60), 0, 1)
        crease[there] = np.maximum(crease[there], found)
    return np.asarray(np.maximum(bulge, crease))

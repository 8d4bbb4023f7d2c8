"""Strokes on the surface of a mesh: round where they are drawn, over edges and the seams of its UVs.

A dab is laid by distances along the surface: the faces round its middle are unfolded into one plane, and every texel of
these faces takes the tip there. Beyond the border of an island each texel takes what the nearest place of its own island
takes, so that filtering finds no gap. Strokes are kept in the mesh's own space: another resolution, or other UVs, draw
them again.
"""

import math
from collections.abc import Callable
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.kept import memoized_on
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Doubles, Floats
from mivex.core.layers.dabs import Box, area_cover, spaced, tip_of
from mivex.core.layers.strokes import PaintStroke, SurfacePoint
from mivex.core.pixels.nearest import nearest
from mivex.core.stage.baking import GUTTER, face_map, ray_scene
from mivex.core.stage.creases import welded
from mivex.core.stage.mesh import Mesh

_kernels = Lazy("mivex.core.stage.kernels.surface")
Ints = NDArray[np.int64]
OFF = 0.02
"""Share of a mesh's longest side by which a place that is kept may lie off it."""
PLAN = 1024
"""Texels of the longer side on which an area is drawn before it is laid onto the surface."""


def across_edges(mesh: Mesh) -> tuple[Ints, Ints]:
    """The face across each edge of each face, (m, 3); and the number of the edge there, plus 4 where it runs the same way.

    Corners at one place are one. Where more than two faces share an edge, those belong together that have the same solid
    between them: parts that only touch stay apart.
    """

    def make() -> tuple[Ints, Ints]:
        f = welded(mesh)[mesh.index]
        m = len(f)
        # Edges run from corner to corner; a neighbour has the same edge, the other way round where both face alike.
        begin, end = f, np.roll(f, -1, axis=1)
        key = np.stack([np.minimum(begin, end), np.maximum(begin, end)], axis=-1).reshape(-1, 2)
        # Faces of no area (at the poles of a sphere, say) would make edges look shared by more than two.
        real = np.repeat((begin != end).all(axis=1), 3)
        order = np.lexsort((key[:, 1], key[:, 0]))
        order = order[real[order]]
        sorted_ = key[order]
        first = np.ones(len(order), bool)
        first[1:] = (sorted_[1:] != sorted_[:-1]).any(axis=1)
        group = np.cumsum(first) - 1
        size = np.bincount(group) if len(group) else np.zeros(0, np.int64)
        neighbour, entry = np.full((m, 3), -1, np.int64), np.zeros((m, 3), np.int64)
        starts = np.flatnonzero(first)
        upward = (begin < end).reshape(-1)

        def join(a: Ints, b: Ints) -> None:
            same = upward[a] == upward[b]
            for i, j in ((a, b), (b, a)):
                neighbour[i // 3, i % 3] = j // 3
                entry[i // 3, i % 3] = j % 3 + 4 * same

        pairs = starts[size == 2]
        join(order[pairs], order[pairs + 1])
        # More than two faces at one edge: pairs are found by going round it.
        crowded = starts[size > 2]
        for s in crowded:
            for a, b in _round_the_edge(mesh, order[s : s + size[group[s]]]):
                join(np.array([a]), np.array([b]))
        return neighbour, entry

    return memoized_on(mesh, "across_edges", make)


def _round_the_edge(mesh: Mesh, edges: Ints) -> list[tuple[int, int]]:
    """Pairs of the faces round a shared edge with one solid between them; ``edges``: face times 3 plus edge."""
    begin, end, third = (mesh.corners[edges // 3, (edges + k) % 3] for k in range(3))
    along = (end - begin)[0] / max(float(np.linalg.norm((end - begin)[0])), 1e-30)
    into = third - begin
    # Along the edge, its length taken out of each face's own direction: what is left points into the face.
    into = into - (into @ along)[:, None] * along
    into /= np.maximum(np.linalg.norm(into, axis=1, keepdims=True), 1e-30)
    inward = -_normals(mesh, edges // 3)
    found = []
    for i in range(len(edges)):
        # From the face on, through what it bounds, to the first face that bounds the same.
        angle = np.arctan2(into @ inward[i], into @ into[i]) % math.tau
        back = into[i] * np.sin(angle)[:, None] - inward[i] * np.cos(angle)[:, None]
        # Only faces that look back at this one bound the same solid; of those the first is met.
        angle = np.where((inward * back).sum(axis=1) > 0.5, np.where(angle < 1e-6, math.tau, angle), np.inf)
        angle[i] = np.inf
        found.append(int(np.argmin(angle)) if np.isfinite(angle).any() else -1)
    return [(int(edges[i]), int(edges[j])) for i, j in enumerate(found) if j > i and found[j] == i]


def bending(mesh: Mesh) -> NDArray[np.bool_]:
    """Corners of faces (m, 3) at which a shortest way may bend: more than a full turn lies round them, or the mesh ends."""

    def make() -> NDArray[np.bool_]:
        at = welded(mesh)[mesh.index]
        p = mesh.corners
        a, b = np.roll(p, -1, axis=1) - p, np.roll(p, 1, axis=1) - p
        size = np.linalg.norm(a, axis=2) * np.linalg.norm(b, axis=2)
        angle = np.arccos(np.clip((a * b).sum(axis=2) / np.maximum(size, 1e-30), -1, 1))
        turn = np.bincount(at.reshape(-1), angle.reshape(-1))
        neighbour, _ = across_edges(mesh)
        ends = np.zeros(len(turn), bool)
        ends[at[neighbour < 0]] = ends[np.roll(at, -1, axis=1)[neighbour < 0]] = True
        # More than a full turn, as in a saddle: there a straight line over the surface is not the shortest way.
        return np.asarray((ends | (turn > math.tau + 1e-6))[at])

    return memoized_on(mesh, "bending", make)


def _hanging(neighbour: Ints) -> Ints:
    """Which faces hang together by edges that two faces share."""
    from scipy.sparse import coo_matrix
    from scipy.sparse.csgraph import connected_components

    m = len(neighbour)
    i, k = np.nonzero(neighbour >= 0)
    pairs = coo_matrix((np.ones(len(i), np.int8), (i, neighbour[i, k])), shape=(m, m))
    return connected_components(pairs, directed=False)[1].astype(np.int64)


@dataclass(frozen=True, eq=False)
class TexelOwners:
    """Which face of a mesh each texel of a picture belongs to.

    Attributes
    ----------
    owner : int32 array (h, w)
        Texels up to `GUTTER` beyond all faces belong to the nearest; −1: to none.
    uv : float64 array (m, 3, 2)
        Corners of the faces in texels.
    texel : float64 array (m,)
        Side of a texel on each face, in units of the mesh; 0: it has no room in the picture, or in space.
    pad : float64 array (m,)
        Texels by which what belongs to a face lies beyond its corners.
    usual : float
        Side of a texel in the mean.
    """

    owner: NDArray[np.int32]
    uv: Doubles
    texel: Doubles
    pad: Doubles
    usual: float


def texel_owners(mesh: Mesh, size: tuple[int, int], uv_set: int, rows: Doubles) -> TexelOwners:
    """Lay a picture (height, width) onto a mesh; ``rows`` (2, 3) lays the UVs into the picture."""

    def make() -> TexelOwners:
        face, uv = face_map(mesh, size, uv_set, rows)
        a, b = mesh.corners[:, 1] - mesh.corners[:, 0], mesh.corners[:, 2] - mesh.corners[:, 0]
        u, v = uv[:, 1] - uv[:, 0], uv[:, 2] - uv[:, 0]
        flat = np.abs(u[:, 0] * v[:, 1] - u[:, 1] * v[:, 0])
        space = np.linalg.norm(np.cross(a, b), axis=1)
        real = (flat > 1e-9) & (space > 1e-12 * max(float(space.max()), 1e-300))
        # What lies under faces of no area in space belongs to the faces beside them.
        inside = (face >= 0) & real[np.maximum(face, 0)]
        if inside.any() and not inside.all():
            index, far = nearest(inside)
            face = np.where((far <= GUTTER) | (face >= 0), face.reshape(-1)[index], np.int32(-1))
        pad = np.zeros(len(uv))
        _kernels.overhang(face, uv, pad)
        texel = np.sqrt(np.where(real, space / np.maximum(flat, 1e-9), 0.0))
        usual = math.sqrt(float(space[real].sum()) / max(float(flat[real].sum()), 1e-12))
        return TexelOwners(face, uv, texel, pad, usual)

    return memoized_on(mesh, ("texel_owners", size, uv_set, tuple(rows.reshape(-1))), make)


def seated(mesh: Mesh, points: Doubles, normals: Doubles, reach: Doubles) -> tuple[Ints, Doubles]:
    """The faces on which points lie, and the nearest places there: looked for along each normal, both ways.

    Parameters
    ----------
    mesh : Mesh
    points, normals : float64 arrays (n, 3)
    reach : float64 array (n,)
        How far the surface may lie from a point; beyond that the face is −1.
    """
    scene, middle, extent = ray_scene(mesh)
    n = len(points)
    faces, places = np.full(n, -1, np.int64), points.copy()
    if not n:
        return faces, places
    long = np.maximum(np.linalg.norm(normals, axis=1, keepdims=True), 1e-12)
    away = normals / long
    near = np.maximum(reach, 1e-4 * extent)[:, None]
    # From outside inwards: of a thin wall the side that the normal shows is found. Single precision can miss an edge
    # between two faces that is met exactly: then a hair beside it.
    hair = np.cross(away, np.roll(away, 1, axis=1) + np.array([0.3, 0.1, 0.2]))
    # Last of all as far off as another mesh of the same shape may lie.
    # Straight down first; then from a hair beside, where a ray ran exactly along an edge; then from farther up.
    for step, least in ((0.0, 0.0), (1e-5, 0.0), (-1e-5, 0.0), (1e-4, 0.0), (-1e-4, 0.0), (0.0, OFF), (1e-4, OFF)):
        lift = np.maximum(near, least * extent)
        left = np.flatnonzero(faces < 0)
        if not len(left):
            break
        begin = points[left] + away[left] * lift[left] + hair[left] * (step * extent)
        rays = ((begin - middle) / extent).astype(np.float32), (-away[left]).astype(np.float32)
        found = scene.run(*rays, query="INTERSECT", output=1)
        face, far = np.asarray(found["primID"], np.int64), np.asarray(found["tfar"], np.float64) * extent
        hit = (face >= 0) & (face < len(mesh.index)) & (far <= 2 * lift[left, 0])
        faces[left[hit]] = face[hit]
        places[left[hit]] = (begin - away[left] * far[:, None])[hit]
    return faces, places


def _frames(normal: Doubles, turn: Doubles, along: Doubles | None) -> Doubles:
    # Upright as far as the surface allows; on a floor "up" points away from the viewer.
    """The tip's plane, (n, 2, 3): across and down as it is seen from outside; upright, turned, or along the stroke."""
    up = np.broadcast_to(np.array([0.0, 1.0, 0.0]), normal.shape).copy()
    up[np.abs(normal[:, 1]) > 0.98] = (0.0, 0.0, -1.0)
    right = np.cross(up, normal) if along is None else along - normal * (along * normal).sum(1, keepdims=True)
    short = np.linalg.norm(right, axis=1, keepdims=True)
    right = np.where(short > 1e-9, right / np.maximum(short, 1e-12), np.cross(up, normal))
    down = -np.cross(normal, right)
    c, s = np.cos(turn)[:, None], np.sin(turn)[:, None]
    return np.stack([right * c + down * s, down * c - right * s], axis=1)


def dabs_on(mesh: Mesh, stroke: PaintStroke) -> tuple[Ints, Doubles]:
    """Where a stroke's dabs fall on a mesh: the face of each (−1: beside it), and its row as the kernels take it."""
    tip, across = stroke.tip, stroke.across
    at = np.array(stroke.surface, np.float64).reshape(-1, 7)
    if not len(at) or across <= 0:
        return np.zeros(0, np.int64), np.zeros((0, 12))
    steps = np.linalg.norm(np.diff(at[:, :3], axis=0), axis=1)
    extent = max(float(np.ptp(mesh.position, axis=0).max()), 1e-12)
    way = np.concatenate([[0.0], np.cumsum(steps)])
    s, luck = spaced(stroke, way, at[:, 6], across, across / extent)
    p = np.interp(s, way, at[:, 6])
    points = np.stack([np.interp(s, way, at[:, k]) for k in range(3)], axis=1)
    normals = np.stack([np.interp(s, way, at[:, k]) for k in range(3, 6)], axis=1)
    which = np.clip(np.searchsorted(way, s, side="right") - 1, 0, max(len(steps) - 1, 0))
    # A step of the pointer is not on the surface: the surface is looked for as far off as the step is long.
    reach = (steps[which] if len(steps) else np.zeros(len(s))) + 1e-3 * extent
    drawn = across / 2 * (p if tip.presses in ("size", "both") else np.ones(len(s)))
    flow = tip.flow * (p if tip.presses in ("flow", "both") else np.ones(len(s)))
    turn = luck[:, 2] * math.tau if tip.turn == "random" else np.zeros(len(s))
    along = (at[which + 1, :3] - at[which, :3]) if tip.turn == "along" and len(steps) else None
    faces, places = seated(mesh, points, normals, reach)
    if tip.scatter > 0:
        far = np.sqrt(luck[:, :1]) * tip.scatter * across
        plane = _frames(_normals(mesh, faces), luck[:, 1] * math.tau, None)
        faces, places = seated(mesh, places + plane[:, 0] * far, _normals(mesh, faces), far[:, 0] + reach)
    one = np.ones(len(s))
    seats = [(faces, places, along, one)]
    if stroke.mirror:
        # Mirrored at the middle of the mesh's own box, not of the world: meshes stand anywhere.
        low, high = mesh.bounds
        middle, flip = (low + high)[0], np.array([-1.0, 1.0, 1.0])
        other = places * flip + [middle, 0, 0]
        ways = None if along is None else along * flip
        seats.append((*seated(mesh, other, _normals(mesh, faces) * flip, reach), ways, -one))
    rows, seeds = [], []
    for f, place, ways, side in seats:
        frames = _frames(_normals(mesh, f), turn * side, ways)
        size = np.maximum(drawn, 1e-6 * extent)
        rows.append(np.concatenate([place, frames.reshape(-1, 6), np.stack([size, flow, side], axis=1)], axis=1))
        seeds.append(f)
    if len(seats) == 1:
        return seeds[0], rows[0]
    return np.stack(seeds, axis=1).reshape(-1), np.stack(rows, axis=1).reshape(-1, 12)


def _normals(mesh: Mesh, faces: Ints) -> Doubles:
    """Unit normals of faces; of −1 any."""

    def make() -> Doubles:
        a, b, c = (mesh.position[mesh.index[:, k]] for k in range(3))
        n = np.cross(b - a, c - a)
        # Where files turn faces inside out, the side that their normals show counts.
        n *= np.where((n * mesh.normal[mesh.index].sum(axis=1)).sum(axis=1, keepdims=True) < 0, -1.0, 1.0)
        return np.asarray(n / np.maximum(np.linalg.norm(n, axis=1, keepdims=True), 1e-30))

    found: Doubles = memoized_on(mesh, "face_normals", make)[np.maximum(faces, 0)]
    return found


NOWHERE: Floats = np.zeros((1, 1, 3), np.float32)
"""In place of a plane that is not asked for."""


class SurfaceCover:
    """The coverage of one stroke on a mesh's picture, as it grows.

    Parameters
    ----------
    mesh : Mesh
    size : (height, width)
    uv_set : int
    rows : float64 array (2, 3)
        The map that lays the UVs into the picture.
    stamp : callable
        A tip's picture by path.
    """

    def __init__(
        self, mesh: Mesh, size: tuple[int, int], uv_set: int, rows: Doubles, stamp: Callable[[str], Floats]
    ) -> None:
        self.mesh, self.stamp = mesh, stamp
        self.laid_out = texel_owners(mesh, size, uv_set, rows)
        self.values: Floats = np.zeros(size, np.float32)
        self._laid = 0

    def lay(self, stroke: PaintStroke) -> Box | None:
        """Lay what a stroke has got since the last time; the piece of the picture that it touches."""
        if stroke.area:
            return self._fill(stroke.surface)
        seed, rows = dabs_on(self.mesh, stroke)
        # A stroke that grows keeps the dabs that it has: only the new ones are laid.
        seed, rows, self._laid = seed[self._laid :], rows[self._laid :], len(seed)
        on = self.laid_out
        if not len(seed) or on.usual <= 0:
            return None
        # As fine as it is shown on the mesh's usual texels; faces of other sizes read the same tip.
        form, tip = tip_of(stroke.tip, stroke.seed, self.stamp, max(2, round(stroke.across / on.usual)))
        return self.lay_dabs(self.values, NOWHERE, (tip, form, stroke.tip.build_up), seed, rows)

    def lay_dabs(self, out: Floats, plane: Floats, tip: tuple[Floats, int, bool], seed: Ints, rows: Doubles) -> Box | None:
        """Lay dabs into a coverage; ``plane``, ``tip`` (picture, form, builds up) and ``rows`` as the kernels take them."""
        on = self.laid_out
        box = np.array([out.shape[0], 0, out.shape[1], 0], np.int64)
        neighbour, entry = across_edges(self.mesh)
        args = (on.owner, on.uv, on.texel, *tip, on.pad)
        mesh = (np.ascontiguousarray(self.mesh.corners, np.float64), neighbour, entry, bending(self.mesh))
        _kernels.dabs(out, plane, *args, *mesh, seed, np.ascontiguousarray(rows), box)
        top, low, left, right = (int(v) for v in box)
        return (top, low, left, right) if low > top else None

    def _fill(self, points: tuple[SurfacePoint, ...]) -> Box | None:
        """Fill what points on the surface enclose, seen along their mean normal; only what hangs together with them."""
        at = np.array(points, np.float64).reshape(-1, 7)
        if len(at) < 3:
            return None
        normal = at[:, 3:6].mean(axis=0)
        if np.linalg.norm(normal) < 1e-6:
            return None
        normal /= np.linalg.norm(normal)
        plane = _frames(normal[None], np.zeros(1), None)[0]
        flat = at[:, :3] @ plane.T
        low, wide = flat.min(axis=0), float(np.ptp(flat, axis=0).max())
        if wide <= 0:
            return None
        on = self.laid_out
        # No finer than its texels on the mesh; and never so large that an area takes seconds.
        side = int(min(max(64, wide / max(on.usual, 1e-12)), PLAN))
        # Two hundredths of room all round: a filled border must not be cut off by the plan's own.
        plan = area_cover(((flat - low) / wide * 0.96 + 0.02) * side, side, side)
        seeds, _ = seated(self.mesh, at[:, :3], at[:, 3:6], np.full(len(at), wide * 0.02))
        chosen = self._under(normal, self.mesh.corners @ plane.T, flat, seeds[seeds >= 0])
        box = np.array([self.values.shape[0], 0, self.values.shape[1], 0], np.int64)
        _kernels.fill(
            self.values,
            on.owner,
            on.uv,
            np.flatnonzero(chosen),
            (self.mesh.corners @ plane.T - low) / wide * 0.96 + 0.02,
            plan,
            on.pad,
            box,
        )
        top, below, left, right = (int(v) for v in box)
        return (top, below, left, right) if below > top else None

    def _under(self, normal: Doubles, shown: Doubles, flat: Doubles, seeds: Ints) -> NDArray[np.bool_]:
        """Faces turned towards the area that hang together with its border, or with what lies within."""
        low, high = flat.min(axis=0), flat.max(axis=0)
        # Faces whose box, as seen along the normal, meets that of the area.
        near = (shown.max(axis=1) >= low).all(axis=1) & (shown.min(axis=1) <= high).all(axis=1)
        front = _normals(self.mesh, np.arange(len(shown))) @ normal > 0
        free = near & front
        neighbour, _ = across_edges(self.mesh)
        linked = np.where((neighbour >= 0) & free[:, None] & free[np.maximum(neighbour, 0)], neighbour, -1)
        part = _hanging(linked)
        return free & np.isin(part, part[seeds])

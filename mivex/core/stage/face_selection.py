"""Regions of a mesh: triangles chosen by islands of UVs, by parts, by single faces; and their masks."""

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError
from mivex.core.base.kept import memoized_on
from mivex.core.base.lazy import Lazy
from mivex.core.base.messages import Message
from mivex.core.base.types import Floats
from mivex.core.stage.baking import Ints, spots_of, spread_out
from mivex.core.stage.creases import welded
from mivex.core.stage.mesh import Mesh

cv2 = Lazy("cv2")


def faces_of(text: str, count: int) -> Ints:
    """Numbers of triangles out of ``0-11,40``; those that the mesh has not are left out.

    Raises
    ------
    MivexError
        The text is no list of numbers.
    """
    rows: list[Ints] = []
    for part in filter(None, (p.strip() for p in text.split(","))):
        first, dash, last = part.partition("-")
        if not first.isdigit() or (dash and not last.isdigit()):
            raise MivexError(Message("“{part}” is no range of faces.", part=part[:20]))
        a, b = int(first), int(last) if dash else int(first)
        if a < count:
            rows.append(np.arange(a, min(b, count - 1) + 1, dtype=np.int64))
    whole = np.unique(np.concatenate(rows)) if rows else np.zeros(0, np.int64)
    return whole[whole < count]


def faces_text(faces: Ints) -> str:
    """Numbers of triangles as short text, the opposite of `faces_of`."""
    whole = np.unique(faces)
    if not len(whole):
        return ""
    cuts = np.flatnonzero(np.diff(whole) > 1)
    first, last = whole[np.concatenate([[0], cuts + 1])], whole[np.concatenate([cuts, [len(whole) - 1]])]
    return ",".join(str(a) if a == b else f"{a}-{b}" for a, b in zip(first, last, strict=True))


def _touching(mesh: Mesh, corners: Ints) -> "tuple[Ints, Ints]":
    """Pairs of triangles that share a corner, through a table of vertices."""
    m = len(mesh.index)
    return np.repeat(np.arange(m), 3), corners[mesh.index].reshape(-1)


def _pieces(mesh: Mesh, corners: Ints) -> Ints:
    from scipy.sparse import coo_matrix
    from scipy.sparse.csgraph import connected_components

    face, corner = _touching(mesh, corners)
    m, n = len(mesh.index), int(corners.max()) + 1
    pairs = coo_matrix((np.ones(len(face), np.int8), (face, corner + m)), shape=(m + n, m + n))
    return connected_components(pairs, directed=False)[1][:m].astype(np.int64)


def islands(mesh: Mesh, uv_set: int = 0) -> Ints:
    """Number of the UV island of every triangle: triangles whose UVs hang together."""

    def make() -> Ints:
        both = np.concatenate([np.round(mesh.uv(uv_set) * 1e6).astype(np.int64), welded(mesh)[:, None]], axis=1)
        return _pieces(mesh, np.unique(both, axis=0, return_inverse=True)[1].reshape(-1))

    return memoized_on(mesh, ("islands", uv_set), make)


def parts(mesh: Mesh) -> Ints:
    """Number of the part of every triangle: triangles that hang together in space."""
    return memoized_on(mesh, "parts", lambda: _pieces(mesh, welded(mesh)))


def picked(mesh: Mesh, face: int, what: str, uv_set: int = 0) -> Ints:
    """Triangles that a click chooses: the ``face`` (with the other half of its quad), its ``island``, its ``part``."""
    if what == "face":
        twin = face ^ 1
        near = [face]
        if twin < len(mesh.index) and len(set(mesh.index[face]) & set(mesh.index[twin])) == 2:
            near.append(twin)
        return np.array(sorted(near), np.int64)
    numbers = islands(mesh, uv_set) if what == "island" else parts(mesh)
    return np.flatnonzero(numbers == numbers[face])


def grown(mesh: Mesh, faces: Ints, by: int) -> Ints:
    """Chosen triangles and their neighbours; below zero the outermost are given back."""
    at = welded(mesh)[mesh.index]
    chosen: NDArray[np.bool_] = np.zeros(len(mesh.index), bool)
    chosen[faces] = True
    for _ in range(abs(by)):
        if by > 0:
            touched = np.zeros(int(at.max()) + 1, bool)
            touched[at[chosen]] = True
            chosen = np.asarray(touched[at].any(axis=1))
        else:
            free = np.zeros(int(at.max()) + 1, bool)
            free[at[~chosen]] = True
            chosen = chosen & ~np.asarray(free[at].any(axis=1))
    return np.flatnonzero(chosen)


def region_mask(mesh: Mesh, faces: str, size: tuple[int, int], uv_set: int = 0) -> Floats:
    """1 on chosen triangles, in their UVs; four samples a texel, carried out of the islands only where no other lies."""
    h, w = size
    spots = spots_of(mesh, (2 * h, 2 * w), uv_set)
    inside = np.zeros(len(mesh.index) + 1, np.float32)
    inside[faces_of(faces, len(mesh.index))] = 1
    fine = spread_out(inside[spots.face[spots.rows, spots.columns]], spots)
    return np.asarray(cv2.resize(fine, (w, h), interpolation=cv2.INTER_AREA), np.float32)


def face_at(mesh: Mesh, u: float, v: float, uv_set: int = 0) -> int:
    """The triangle that lies at a place of the picture, shares of its size; −1: none."""
    uv = mesh.uv(uv_set)[mesh.index]
    uv = uv - np.floor(uv.mean(axis=1, keepdims=True))
    a, b, c = uv[:, 0], uv[:, 1], uv[:, 2]
    area = (b[:, 0] - a[:, 0]) * (c[:, 1] - a[:, 1]) - (b[:, 1] - a[:, 1]) * (c[:, 0] - a[:, 0])
    safe = np.where(np.abs(area) > 1e-15, area, 1.0)
    s = ((u - a[:, 0]) * (c[:, 1] - a[:, 1]) - (v - a[:, 1]) * (c[:, 0] - a[:, 0])) / safe
    t = ((v - a[:, 1]) * (b[:, 0] - a[:, 0]) - (u - a[:, 0]) * (b[:, 1] - a[:, 1])) / safe
    hit = np.flatnonzero((np.abs(area) > 1e-15) & (s >= 0) & (t >= 0) & (s + t <= 1))
    return int(hit[0]) if len(hit) else -1

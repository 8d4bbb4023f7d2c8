"""A second UV set made here: chosen faces laid flat along their mean normal, or unwrapped, and fitted into the picture."""

import numpy as np

from mivex.core.base.kept import memoized_on
from mivex.core.base.types import Doubles
from mivex.core.stage.baking import Ints
from mivex.core.stage.face_selection import faces_of
from mivex.core.stage.mesh import Mesh

AWAY = -8.0
"""UVs of faces that were not chosen: far outside the picture, where its border texel is read."""


SIDE, PADDING = 1024, 8
"""Texels of the picture that islands are packed for, and between them: as many as masks are carried outwards."""


def _fitted(plane: Doubles) -> Doubles:
    """Places (n, 2), v downwards, brought into the picture as large as fits, keeping their shape, in its middle."""
    low, high = plane.min(axis=0), plane.max(axis=0)
    return np.asarray((plane - (low + high) / 2) / max(float((high - low).max()), 1e-12) + 0.5)


def _flat(mesh: Mesh, chosen: Ints) -> Doubles:
    """UVs of each chosen triangle's corners (m, 3, 2) by looking at them along their mean normal."""
    a, b, c = (mesh.corners[chosen][:, k] for k in range(3))
    n = np.cross(b - a, c - a).sum(axis=0)
    if np.linalg.norm(n) < 1e-9:
        # Both sides of a sheet have no mean: it is looked at as its largest face is.
        faces = np.cross(b - a, c - a)
        n = faces[np.linalg.norm(faces, axis=1).argmax()]
    n = n / max(float(np.linalg.norm(n)), 1e-12)
    up = np.array([0.0, 1.0, 0.0]) if abs(n[1]) < 0.95 else np.array([0.0, 0.0, -1.0])
    right = np.cross(up, n)
    right /= max(float(np.linalg.norm(right)), 1e-12)
    up = np.cross(n, right)
    at = mesh.corners[chosen]
    plane = np.stack([at @ right, -(at @ up)], axis=-1)
    return _fitted(plane.reshape(-1, 2)).reshape(plane.shape)


def _unwrapped(mesh: Mesh, chosen: Ints) -> Doubles:
    """UVs of each chosen triangle's corners by xatlas, packed into the picture with `PADDING` between islands.

    Its coordinates are shares of the atlas's width and of its height: what they measure is brought to one scale. It turns
    islands by exchanging their axes, which mirrors them: those are turned over again in the box that they have.
    """
    import xatlas
    from scipy.sparse import coo_matrix
    from scipy.sparse.csgraph import connected_components

    used, index = np.unique(mesh.index[chosen], return_inverse=True)
    atlas, pack = xatlas.Atlas(), xatlas.PackOptions()
    pack.resolution, pack.padding, pack.bilinear = SIDE, PADDING, True
    atlas.add_mesh(mesh.position[used].astype(np.float32), index.reshape(-1, 3).astype(np.uint32))
    atlas.generate(pack_options=pack)
    _, made, uv = atlas[0]
    size = np.array([atlas.width, atlas.height], np.float64)
    # Half of the padding all round, so that the outermost islands too have room to be carried outwards.
    place = uv.astype(np.float64) * size + PADDING / 2
    place /= float(size.max()) + PADDING
    plane = np.stack([place[:, 0], 1 - place[:, 1]], axis=1)
    made = made.astype(np.int64)
    n = len(plane)
    both = coo_matrix((np.ones(2 * len(made), np.int8), (made[:, [0, 1]].reshape(-1), made[:, [1, 2]].reshape(-1))), (n, n))
    island = connected_components(both, directed=False)[1]
    a, b = plane[made[:, 1]] - plane[made[:, 0]], plane[made[:, 2]] - plane[made[:, 0]]
    # Seen from the front a face goes round against the clock; with v downwards its area is below zero.
    area = np.bincount(island[made[:, 0]], a[:, 0] * b[:, 1] - a[:, 1] * b[:, 0], int(island.max(initial=0)) + 1)
    for k in np.flatnonzero(area > 0):
        mine = island == k
        u = plane[mine, 0]
        plane[mine, 0] = u.min() + u.max() - u
    return np.asarray(plane[made])


def with_second(mesh: Mesh, faces: str, how: str) -> Mesh:
    """A mesh with a second UV set in which only chosen faces lie.

    Parameters
    ----------
    mesh : Mesh
    faces : str
        Numbers of triangles, see `faces_of`; none: all of them.
    how : {"flat", "unwrapped"}

    Returns
    -------
    Mesh
        The same triangles in the same order; corners are kept apart where their second UVs differ.
    """

    def make() -> Mesh:
        chosen = faces_of(faces, len(mesh.index))
        if not len(chosen):
            chosen = np.arange(len(mesh.index))
        second = np.full((len(mesh.index), 3, 2), AWAY)
        second[chosen] = _flat(mesh, chosen) if how == "flat" else _unwrapped(mesh, chosen)
        corner = mesh.index.reshape(-1)
        keys = np.concatenate([corner[:, None].astype(np.float64), np.round(second.reshape(-1, 2), 9)], axis=1)
        _, first, index = np.unique(keys, axis=0, return_index=True, return_inverse=True)
        at = corner[first]
        return Mesh(
            mesh.position[at],
            mesh.normal[at],
            mesh.uv0[at],
            np.ascontiguousarray(index.reshape(-1, 3)),
            second.reshape(-1, 2)[first],
            None if mesh.tint is None else mesh.tint[at],
        )

    found: Mesh = memoized_on(mesh, ("second", faces, how), make)
    return found

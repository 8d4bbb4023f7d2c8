"""A second UV set made here: chosen faces laid flat along their mean normal, or unwrapped, and fitted into the picture."""

import numpy as np

from mivex.core.base.kept import memoized_on
from mivex.core.base.types import Doubles
from mivex.core.stage.baking import Ints
from mivex.core.stage.face_selection import faces_of
from mivex.core.stage.mesh import Mesh

AWAY = -8.0
"""UVs of faces that were not chosen: far outside the picture, where its border texel is read."""


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
    """UVs of each chosen triangle's corners by xatlas, packed into the picture."""
    import xatlas

    used, index = np.unique(mesh.index[chosen], return_inverse=True)
    index = index.reshape(-1, 3)
    _, made, uv = xatlas.parametrize(mesh.position[used].astype(np.float32), index.astype(np.uint32))
    flipped = np.stack([uv[:, 0], 1 - uv[:, 1]], axis=1).astype(np.float64)
    return np.asarray(flipped[made.astype(np.int64)])


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

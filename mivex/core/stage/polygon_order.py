"""The order of a draw's own polygons: as its material asks for, and of what refracts part by part from far to near.

Each part of a thing that refracts is seen, bent, through those before it.
"""

from dataclasses import replace
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.kept import memoized_on
from mivex.core.base.types import Doubles
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.face_selection import parts
from mivex.core.stage.mesh import Mesh

MOST = 16
"""Parts up to which each is drawn by itself; a thing of more is drawn as one, its back before its front."""


def parts_of(mesh: Mesh) -> list[Mesh]:
    """The pieces of a mesh that do not hang together; itself where it is one, or many."""

    def make() -> list[Mesh]:
        if len(mesh.index) < 2:
            return [mesh]
        number = parts(mesh)
        there = np.unique(number)
        if not 1 < len(there) <= MOST:
            return [mesh]
        found = [np.flatnonzero(number == k) for k in there]
        return [replace(mesh, index=mesh.index[at], facts=None if mesh.facts is None else mesh.facts[at]) for at in found]

    return memoized_on(mesh, "own_parts", make)


def far_to_near(mesh: Mesh, eye: Doubles) -> list[Mesh]:
    """The parts of a mesh in the order in which they are drawn, by the middle of each."""
    found = parts_of(mesh)
    return (
        sorted(found, key=lambda m: -float(np.linalg.norm(m.corners.mean(axis=(0, 1)) - eye))) if len(found) > 1 else found
    )


def lays(draw: DrawCall) -> bool:
    """Whether a draw leaves its depth first, and its colour only where it is nearest."""
    return draw.material.depth_first and draw.material.depth_test


def ranked(polys: NDArray[Any], begun: int, end: int, draw: DrawCall) -> int:
    """Bring a draw's own polygons into the order that its material asks for; returns where they end."""
    m, rows = draw.material, polys[begun:end]
    if m.distance == "triangle":
        n = np.maximum(rows["corners"], 1)
        there = np.arange(rows["x"].shape[1])[None] < n[:, None]
        x, y = ((np.where(there, rows[k], 0).sum(axis=1) / n) for k in ("x", "y"))
        near = rows["value"][:, 0] + rows["across"][:, 0] * (x - rows["at_x"]) + rows["down"][:, 0] * (y - rows["at_y"])
        rows[:] = rows[np.argsort(near, kind="stable")]
    if m.back_first and m.both_faces:
        rows[:] = rows[np.argsort(rows["back"] == 0, kind="stable")]
    if not lays(draw):
        return end
    more = end - begun
    polys[end : end + more] = rows
    rows["only_depth"] = 1
    return end + more


def back_first(rows: NDArray[Any]) -> int:
    """Bring polygons that are seen from behind before the others; returns how many they are."""
    rows[:] = rows[np.argsort(rows["back"] == 0, kind="stable")]
    return int((rows["back"] != 0).sum())

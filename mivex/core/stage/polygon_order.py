"""The order of polygons: a draw's own as its material asks for, of what refracts part by part, and particles among others.

Each part of a thing that refracts is seen, bent, through those before it.
"""

from dataclasses import replace
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.kept import memoized_on
from mivex.core.base.types import Doubles
from mivex.core.pixels.blends import BLENDS
from mivex.core.stage.draw import DrawCall, refracts
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


def mixes(draw: DrawCall) -> bool:
    """Whether a draw's particles take their place in the order one by one, each as if it were a placement of its own.

    What asks for an order of its own faces, lays its depth first or reads what is behind it stays a whole; so does what is
    drawn before the light, where the depth buffer or the surface decides.
    """
    m = draw.material
    own_order = m.distance == "triangle" or (m.back_first and m.both_faces) or lays(draw) or refracts(m)
    return draw.mesh.away is not None and not draw.before_light and not own_order and BLENDS[m.blend].see_through


def blocks_of(draws: list[DrawCall]) -> list[tuple[int, int]]:
    """Stretches of draws, of one draw group and nudge each, in which particles mix with others; first and last + 1."""
    rows: list[tuple[int, int]] = []
    first = 0
    while first < len(draws):
        last = first + 1
        while last < len(draws) and draws[last].order[:2] == draws[first].order[:2]:
            last += 1
        if last - first > 1 and any(mixes(d) for d in draws[first:last]):
            rows.append((first, last))
        first = last
    return rows


def interleave(polys: NDArray[Any], starts: list[int], draws: list[DrawCall], block: tuple[int, int]) -> None:
    """Bring the polygons of a block of draws into one order, from far to near: particles one by one, all else as wholes.

    Parameters
    ----------
    polys : POLY array
        Sorted in place between the block's ends.
    starts : list of int
        Where the polygons of each draw begin, and of the last where they end.
    draws : list of DrawCall
    block : (first, last)
        As `blocks_of`.
    """
    first, last = block
    rows = polys[starts[first] : starts[last]]
    far = np.empty(len(rows))
    least = np.inf
    for k in range(first, last):
        at = slice(starts[k] - starts[first], starts[k + 1] - starts[first])
        if mixes(draws[k]):
            far[at] = rows["away"][at]
        else:
            # Never farther than the whole before it: wholes keep the order in which they are given, whatever it is.
            least = min(least, -draws[k].order[2])
            far[at] = least
    if (np.diff(far) > 0).any():
        # By number rather than in place: a row is some 900 bytes, and each is moved once.
        rows[:] = rows[np.argsort(-far, kind="stable")]


def back_first(rows: NDArray[Any]) -> int:
    """Bring polygons that are seen from behind before the others; returns how many they are."""
    rows[:] = rows[np.argsort(rows["back"] == 0, kind="stable")]
    return int((rows["back"] != 0).sum())

"""What is solid, sorted into cells, so that a short way is tried only against what is near."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.types import Doubles

MOST_CELLS = 64
"""Along the longest side."""


@dataclass(frozen=True, eq=False)
class Solids:
    """Triangles in a grid of cells, as `kernels.move.meets` wants them.

    Attributes
    ----------
    grid : float64 array (7,)
        Low corner, size of a cell, how many along x, y, z.
    cells : int64 array (n + 1,)
        Where each cell's list begins.
    lists : int64 array
        Numbers of triangles, cell after cell.
    triangles : float64 array (m, 3, 3)
    """

    grid: Doubles
    cells: NDArray[np.int64]
    lists: NDArray[np.int64]
    triangles: Doubles

    def meets(self, a: Doubles, b: Doubles) -> tuple[Doubles, Doubles] | None:
        """Where the way from ``a`` to ``b`` meets something, and its normal; None: nowhere."""
        from mivex.core.motion.kernels.move import meets

        normal = np.empty(3)
        share = meets(self.grid, self.cells, self.lists, self.triangles, a, b, normal)
        return (a + (b - a) * share, normal) if share <= 1 else None


NOTHING = Solids(np.array([0.0, 0, 0, 1, 0, 0, 0]), np.zeros(1, np.int64), np.zeros(0, np.int64), np.zeros((0, 3, 3)))


def solids_of(triangles: Doubles) -> Solids:
    """Sort triangles (m, 3, 3) into cells; each stands in every cell that its box touches."""
    t = np.ascontiguousarray(triangles, np.float64)
    if not len(t):
        return NOTHING
    low, high = t.min(axis=(0, 1)) - 1e-3, t.max(axis=(0, 1)) + 1e-3
    size = float(max((high - low).max() / MOST_CELLS, 1e-3))
    n = np.maximum(np.ceil((high - low) / size).astype(np.int64), 1)
    first = np.clip(((t.min(axis=1) - 1e-6 - low) / size).astype(np.int64), 0, n - 1)
    last = np.clip(((t.max(axis=1) + 1e-6 - low) / size).astype(np.int64), 0, n - 1)
    span = last - first + 1
    count = span.prod(axis=1)
    which = np.repeat(np.arange(len(t)), count)
    k = np.arange(count.sum()) - np.repeat(np.cumsum(count) - count, count)
    s = span[which]
    x, y, z = k % s[:, 0], k // s[:, 0] % s[:, 1], k // (s[:, 0] * s[:, 1])
    at = first[which] + np.stack([x, y, z], axis=1)
    cell = (at[:, 2] * n[1] + at[:, 1]) * n[0] + at[:, 0]
    order = np.argsort(cell, kind="stable")
    cells = np.searchsorted(cell[order], np.arange(int(n.prod()) + 1)).astype(np.int64)
    return Solids(np.array([*low, size, *n], np.float64), cells, np.ascontiguousarray(which[order]), t)

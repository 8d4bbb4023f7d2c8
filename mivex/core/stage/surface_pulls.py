"""Softening and drawing out on the surface of a mesh: what lies under a tip is taken into its plane and put back."""

import math
from collections.abc import Callable, Iterator

import numpy as np

from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Doubles, Floats
from mivex.core.layers.dabs import Pull, tip_of
from mivex.core.layers.strokes import PaintStroke
from mivex.core.stage.surface_strokes import NOWHERE, SurfaceCover, dabs_on

cv2 = Lazy("cv2")
FINEST = 384
"""Cells of a tip's plane along its side at most."""
SOFTENS = 0.3
"""Sigma of what softens, against the tip's half size, as in the picture."""
ROUND = 1.42
"""How far the corners of a tip's picture lie from its middle, against its half size."""


def _unfolded(step: Doubles, before: Doubles, now: Doubles) -> Doubles:
    """The way from one dab to the next as it lies in the next one's plane, (3,); over an edge it is longer than straight.

    In planes that meet in the direction e a straight step is ``c e + a p + b q``, p and q at right angles to e in the
    one plane and the other; unfolded it is ``c e + (a + b) q``.
    """
    first, second = np.cross(*before), np.cross(*now)
    edge = np.cross(first, second)
    sine = float(np.linalg.norm(edge))
    flat = step - second * (step @ second)
    # Nearly the same plane: straight on, but as long as the step really is.
    if sine < 0.05:
        length = float(np.linalg.norm(flat))
        return flat * (float(np.linalg.norm(step)) / length) if length > 0 else flat
    edge /= sine
    p, q = np.cross(first, edge), np.cross(second, edge)
    a, b = np.linalg.lstsq(np.column_stack([p, q]), step - edge * (step @ edge), rcond=None)[0]
    return np.asarray(edge * (step @ edge) + (a + b) * q)


class _Plane:
    """The values of texels in the plane of a tip, on a grid, and back.

    Parameters
    ----------
    places : float64 array (n, 2)
        Where each texel lies.
    weight : float64 array (n,)
        Its area; 0: it takes and does not give (it lies beyond the border of an island).
    half, cell : float
        The grid's half size and the side of a cell.
    """

    def __init__(self, places: Doubles, weight: Doubles, half: float, cell: float) -> None:
        self.places, self.half, self.cell = places, half, cell
        # Cells enough for the tip and one more all round, so that reading between cells never leaves the grid.
        self.n = 2 * math.ceil(half / cell) + 3
        self.weight = weight

    def _corners(self, places: Doubles) -> Iterator[tuple[Doubles, Doubles]]:
        at = np.clip(places / self.cell + (self.n - 1) / 2, 0, self.n - 1.001)
        low = np.floor(at).astype(np.int64)
        f = at - low
        for j in (0, 1):
            for i in (0, 1):
                share = (f[:, 0] if i else 1 - f[:, 0]) * (f[:, 1] if j else 1 - f[:, 1])
                yield (low[:, 1] + j) * self.n + low[:, 0] + i, share

    def grid(self, values: Floats) -> tuple[Doubles, Doubles]:
        """Values (n, k) on the grid, multiplied by the area that stands there, and that area."""
        n, k = self.n, values.shape[1]
        sums, areas = np.zeros((n * n, k)), np.zeros(n * n)
        for cell, share in self._corners(self.places):
            w = share * self.weight
            areas += np.bincount(cell, w, n * n)
            for c in range(k):
                sums[:, c] += np.bincount(cell, w * values[:, c], n * n)
        return sums.reshape(n, n, k), areas.reshape(n, n)

    def read(self, sums: Doubles, areas: Doubles, places: Doubles, own: Floats) -> Floats:
        """What stands at places of the grid; where nothing does, ``own``."""
        flat, area = sums.reshape(-1, sums.shape[2]), areas.reshape(-1)
        total, weight = np.zeros((len(places), flat.shape[1])), np.zeros(len(places))
        for cell, share in self._corners(places):
            total += flat[cell] * share[:, None]
            weight += area[cell] * share
        # A billionth of the fullest cell: below it nothing stands there, and its mean would be noise.
        there = weight > 1e-9 * max(float(area.max()), 1e-30)
        return np.asarray(np.where(there[:, None], total / np.where(there, weight, 1)[:, None], own), np.float32)


def _pulls_of(on: SurfaceCover, stroke: PaintStroke) -> Iterator[Pull]:
    """Each dab of a stroke that softens or draws out, one after the other: each sees what the one before has left.

    Parameters
    ----------
    on : SurfaceCover
        The mesh and its picture; its own coverage is not touched.
    stroke : PaintStroke
    """
    laid, size = on.laid_out, on.values.shape
    seed, rows = dabs_on(on.mesh, stroke)
    if not len(seed) or laid.usual <= 0:
        return
    form, tip = tip_of(stroke.tip, stroke.seed, on.stamp, max(2, round(stroke.across / laid.usual)))
    wide: Floats = np.zeros(size, np.float32)
    cover: Floats = np.zeros(size, np.float32)
    plane: Floats = np.zeros((*size, 3), np.float32)
    back = 2 if stroke.mirror else 1  # the two halves take turns
    for k in range(len(seed)):
        smudges = stroke.does == "smudge"
        if seed[k] < 0 or (smudges and (k < back or seed[k - back] < 0)):
            continue
        row, radius = rows[k : k + 1], float(rows[k, 9])
        step = (row[0, :3] - rows[k - back, :3]) if smudges else np.zeros(3)
        frame = row[0, 3:9].reshape(2, 3)
        way = frame @ _unfolded(step, rows[k - back, 3:9].reshape(2, 3), frame) if smudges else np.zeros(2)
        # The way it comes from, its own reach, and a texel more; a rough tip's corners lie farther out.
        far = radius * (ROUND if form == 2 else 1.0) * 1.15 + float(np.linalg.norm(way)) + laid.usual
        # All that the tip may take from: a hard disc that is larger than it by its way.
        round_ = row.copy()
        round_[0, 9:11] = far, 1.0
        box = on.lay_dabs(wide, plane, (tip[:1, :1], 0, False), seed[k : k + 1], round_)
        if box is None:
            continue
        on.lay_dabs(cover, NOWHERE, (tip, form, False), seed[k : k + 1], row)
        top, low, left, right = box
        y, x = np.nonzero(wide[top:low, left:right] > 0)
        y, x = y + top, x + left
        places = plane[y, x, :2].astype(np.float64)
        area = laid.texel[laid.owner[y, x]] ** 2 * plane[y, x, 2]
        share = cover[y, x].copy()
        wide[top:low, left:right] = 0
        cover[top:low, left:right] = 0
        # No finer than texels, and no more cells than would be seen.
        cell = max(laid.usual, 2 * far / FINEST)
        grid = _Plane(places, area, far + 2 * cell, cell)
        yield Pull((y, x), share, _smudged(grid, way) if smudges else _softened(grid, SOFTENS * radius))


class SurfaceBrush(SurfaceCover):
    """Whatever a stroke does on the surface of a mesh: it covers, softens, or draws out."""

    def pulls(self, stroke: PaintStroke) -> Iterator[Pull]:
        """What a stroke that softens or draws out does, dab by dab."""
        yield from _pulls_of(self, stroke)


def _softened(grid: _Plane, sigma: float) -> Callable[[Floats], Floats]:
    def moved(values: Floats) -> Floats:
        sums, areas = grid.grid(values)
        # At least a third of a cell: less is no blur at all.
        s = max(sigma / grid.cell, 0.3)
        blurred = cv2.GaussianBlur(np.dstack([sums, areas]), (0, 0), s, borderType=cv2.BORDER_CONSTANT)
        return grid.read(blurred[..., :-1], blurred[..., -1], grid.places, values)

    return moved


def _smudged(grid: _Plane, way: Doubles) -> Callable[[Floats], Floats]:
    def moved(values: Floats) -> Floats:
        return grid.read(*grid.grid(values), grid.places - way, values)

    return moved

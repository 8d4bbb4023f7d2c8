"""Two grids in one picture, one below or beside the other.

Folded by the side of its cells, a grid shows what frames have in common: little at their borders, much in their middle,
and nowhere as little as at the borders. Shifted by a cell it meets itself. Both are weighed for every two sides that fit
into the picture, part by part; two grids must do about as well as any single one could.
"""

from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.types import Floats
from mivex.core.sheet.whole_cells import LEAST, correlation

MOST_ACROSS = 32
"""Cells that lie side by side at most."""
REDUCED = 64
"""Texels to which a picture is made smaller across the axis along which it is compared with itself."""
OBLONG = 0.1
"""What is taken off for cells that are no squares."""
EMPTY = 0.25
"""Share of the mean below which a row of texels may part two grids."""
FOLDED, ALIKE = 0.6, 0.4
"""Weights of what is seen in the folded cells, and of the likeness to itself."""
LEAST_FIT = 0.4
"""What two grids have to reach together. This and the leads below were set by 240 drawn pictures, half of them of one grid;
tests judge them by others."""
LEAD, LEAD_OF_MULTIPLES = -0.2, 0.05
"""How far two may fall short of what any single grid reaches at best; and what they must have more where one side is a
multiple of the other, as the parts of a single grid are to each other that are cut too finely."""

Profile = NDArray[np.floating]


@dataclass(frozen=True)
class TwoGrids:
    """Two grids that share a side of the picture.

    Attributes
    ----------
    axis : int
        0: one above the other; 1: side by side.
    cut : int
        Where the second begins, texels.
    first, second : (width, height)
        Of their cells, texels.
    fit : float
        How well they fit, about 0 to 1.
    lead : float
        How much better than the best that any single grid could do.
    """

    axis: int
    cut: int
    first: tuple[int, int]
    second: tuple[int, int]
    fit: float
    lead: float


def _folded(profile: Profile, size: int) -> float:
    """How much less is seen at the borders of cells than in their middle and at their thirds, in units of the mean."""
    cell = profile.reshape(-1, size).mean(axis=0)
    middle = cell[(size - 1) // 2 : size // 2 + 1].mean()
    thirds = (cell[size // 3] + cell[size - 1 - size // 3]) / 2
    # The lesser of both: of cells that hold several frames one of these lines is a border itself.
    inner = min(float(middle), float(thirds))
    return float(np.clip((inner - (cell[0] + cell[-1]) / 2) / max(float(cell.mean()), 1e-9), -1, 1))


class _Part:
    """What a part of a picture says of cells along either axis.

    Parameters
    ----------
    down, across : float arrays
        How much is seen of each row, and of each column.
    inks : (ink, ink)
        The part itself, its columns and its rows made fewer: what is compared with itself down and across.
    """

    def __init__(self, down: Profile, across: Profile, inks: tuple[Floats, Floats]) -> None:
        self.profiles, self.inks = (down, across), inks
        self._alike: dict[int, NDArray[np.float64]] = {}

    def _likeness(self, axis: int, size: int) -> float | None:
        """How much more the part is like itself a cell on than half a cell on; None where there is one cell only."""
        steps = np.arange(1, min(len(self.profiles[axis]) // size, 4))
        if not len(steps):
            return None
        if axis not in self._alike:
            self._alike[axis] = correlation(self.inks[axis], axis)
        alike = self._alike[axis]
        return float(np.mean(alike[steps * size] - alike[((steps - 0.5) * size).astype(int)]))

    def folded(self, axis: int, size: int) -> float:
        """How well cells of that side fit along an axis by what is seen of them laid over each other."""
        return _folded(self.profiles[axis], size)

    def along(self, axis: int, size: int) -> float:
        """How well cells of that side fit along an axis."""
        folded, alike = self.folded(axis, size), self._likeness(axis, size)
        return FOLDED * folded + ALIKE * (folded if alike is None else max(alike, 0.0))

    def fit(self, wide: int, high: int) -> float:
        """How well cells of that width and height fit."""
        return (self.along(1, wide) + self.along(0, high)) / 2 - (0.0 if wide == high else OBLONG)

    def best_along(self, axis: int) -> float:
        """The best that any number of cells does along an axis."""
        return max(self.along(axis, size) for size in _sides(len(self.profiles[axis])))


class _Picture:
    """A picture, of which parts above and below a cut are looked at: what they share is worked out once."""

    def __init__(self, ink: Floats) -> None:
        h, w = self.size = ink.shape[:2]
        seen = np.abs(ink).max(axis=2)
        self.rows = seen.mean(axis=1)
        self._below = np.concatenate([np.zeros((1, w), np.float64), np.cumsum(seen, axis=0, dtype=np.float64)])
        self._few_columns = _smaller(ink, min(w, REDUCED), h)
        self._block = -(-h // REDUCED)
        self._few_rows = _smaller(ink, w, -(-h // self._block))

    def part(self, first: int, last: int) -> _Part:
        """The rows from one to another."""
        k = self._block
        top = min(first // k, len(self._few_rows) - 1)
        few = self._few_rows[top : max(top + 1, last // k)]
        across = (self._below[last] - self._below[first]) / (last - first)
        return _Part(self.rows[first:last], across, (self._few_columns[first:last], few))


def _smaller(ink: Floats, width: int, height: int) -> Floats:
    import cv2

    if (height, width) == ink.shape[:2]:
        return ink
    return np.asarray(cv2.resize(ink, (width, height), interpolation=cv2.INTER_AREA), np.float32)


def _sides(length: int) -> list[int]:
    """Sides of cells that fill a length."""
    return [length // n for n in range(1, MOST_ACROSS + 1) if length % n == 0 and length // n >= LEAST] or [length]


def _cells(wide: int, part: int, length: int) -> list[tuple[int, int, int]]:
    """Cells of a width that fill a part ``length`` high, of ``part``: square ones, and twice or half as high ones."""
    return [(part, wide, high) for high in (wide, 2 * wide, wide // 2) if high >= LEAST and length % high == 0]


def _pairs(picture: _Picture, axis: int) -> list[TwoGrids]:
    """Every two grids that fit, the first above the second."""
    h, w = picture.size
    sides = _sides(w)
    seen = picture.rows
    limit = EMPTY * float(seen.mean())
    heights = sorted({high for a in sides for _, _, high in _cells(a, 0, 0)})
    rows: list[TwoGrids] = []
    for cut in sorted({k * a for a in heights for k in range(1, h // a + 1) if 2 * LEAST <= k * a <= h - 2 * LEAST}):
        # Nothing goes across where one grid ends and the other begins, or little.
        if max(seen[cut - 1], seen[cut]) > limit:
            continue
        parts, lengths = (picture.part(0, cut), picture.part(cut, h)), (cut, h - cut)
        fits: tuple[dict[tuple[int, int], float], ...] = ({}, {})
        for k, wide, high in (c for a in sides for part in (0, 1) for c in _cells(a, part, lengths[part])):
            one = parts[k]
            # Where nothing is left out at the borders there is no grid; what is alike besides is dear to know.
            several = (w // wide) * (lengths[k] // high) > 1
            if several and one.folded(1, wide) + one.folded(0, high) > 0:
                fits[k][wide, high] = one.fit(wide, high)
        for a, upper in fits[0].items():
            for b, lower in fits[1].items():
                if a != b:
                    # The weaker part counts as much as all of it: two grids are told only where both are.
                    whole = (upper * cut + lower * (h - cut)) / h
                    rows.append(TwoGrids(axis, cut, a, b, (min(upper, lower) + whole) / 2, 0.0))
    return rows


def two_grids(ink: Floats) -> TwoGrids | None:
    """Two grids in a picture, where they explain it better than one.

    Parameters
    ----------
    ink : float32 array (height, width, 2)
        What is seen of each texel.

    Returns
    -------
    TwoGrids or None
    """
    upright = _Picture(ink)
    rows = _pairs(upright, 0)
    for r in _pairs(_Picture(np.ascontiguousarray(ink.transpose(1, 0, 2))), 1):
        rows.append(replace(r, first=r.first[::-1], second=r.second[::-1]))
    if not rows:
        return None
    best = max(rows, key=lambda r: r.fit)
    whole = upright.part(0, ink.shape[0])
    lead = best.fit - (whole.best_along(0) + whole.best_along(1)) / 2
    # Cells that are parts of the others are most often those of one grid, cut too finely in one part.
    multiple = all(max(a, b) % min(a, b) == 0 for a, b in zip(best.first, best.second, strict=True))
    if best.fit < LEAST_FIT or lead < (LEAD_OF_MULTIPLES if multiple else LEAD):
        return None
    return replace(best, lead=lead)

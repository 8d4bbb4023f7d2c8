"""How often each value occurs in a texture, and what its alpha amounts to."""

from dataclasses import dataclass

import numba as nb
import numpy as np
from numpy.typing import NDArray

from mivex.core.bands import run_bands
from mivex.core.image.texture import Texture

BINS = 256


@dataclass(frozen=True, eq=False)
class Histogram:
    """Figures of one texture.

    Attributes
    ----------
    counts : int64 array (4, 256)
        Texels of red, green, blue and alpha by value; bin ``i`` holds values nearest to ``i / 255``.
    clear, solid : float
        Share of texels whose alpha is exactly 0, exactly 1; what is left lies between.
    minimum, maximum, mean : float
        Of alpha.
    """

    counts: NDArray[np.int64]
    clear: float
    solid: float
    minimum: float
    maximum: float
    mean: float

    @property
    def soft(self) -> float:
        """Share of texels whose alpha lies between 0 and 1."""
        return max(0.0, 1.0 - self.clear - self.solid)


@nb.njit(nogil=True, cache=True)
def _count_rows(values, counts, sums, first, last):  # type: ignore[no-untyped-def]
    low, high, total, clear, solid = np.float32(2), np.float32(-1), 0.0, 0, 0
    for y in range(first, last):
        for x in range(values.shape[1]):
            for c in range(4):
                v = min(max(values[y, x, c], np.float32(0)), np.float32(1))
                counts[c, int(v * np.float32(255) + np.float32(0.5))] += 1
            a = values[y, x, 3]
            low, high = min(low, a), max(high, a)
            total += a
            clear += a <= 0
            solid += a >= 1
    sums[0], sums[1], sums[2], sums[3], sums[4] = low, high, total, clear, solid


def histogram(texture: Texture) -> Histogram:
    """Count a texture's stored values; kept with the texture, so asking again costs nothing."""
    kept = texture.__dict__.get("_histogram")
    if kept is not None:
        return kept  # type: ignore[no-any-return]
    parts: list[tuple[NDArray[np.int64], NDArray[np.float64]]] = []

    def band(first: int, last: int) -> None:
        counts, sums = np.zeros((4, BINS), np.int64), np.zeros(5)
        _count_rows(texture.values, counts, sums, first, last)
        parts.append((counts, sums))

    run_bands(texture.height, band)
    sums = np.stack([s for _, s in parts])
    size = texture.width * texture.height
    made = Histogram(np.sum([c for c, _ in parts], axis=0), float(sums[:, 3].sum() / size),
                     float(sums[:, 4].sum() / size), float(sums[:, 0].min()), float(sums[:, 1].max()),
                     float(sums[:, 2].sum() / size))
    texture.__dict__["_histogram"] = made
    return made

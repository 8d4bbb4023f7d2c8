"""How often each value occurs in a texture, and what its alpha amounts to."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import run_bands
from mivex.core.base.kept import memoized_on
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.picture.texture import Texture

_kernels = Lazy("mivex.core.proof.kernels.histogram")

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


def histogram(texture: Texture) -> Histogram:
    """Count a texture's stored values; asking again costs nothing."""
    values = texture.values
    return memoized_on(texture, "histogram", lambda: _counted(values))


def _counted(values: Floats) -> Histogram:
    parts: list[tuple[NDArray[np.int64], NDArray[np.float64]]] = []

    def band(first: int, last: int) -> None:
        counts, sums = np.zeros((4, BINS), np.int64), np.zeros(5)
        _kernels.count_rows(values, counts, sums, first, last)
        parts.append((counts, sums))

    run_bands(values.shape[0], band)
    sums = np.stack([s for _, s in parts])
    size = values.shape[0] * values.shape[1]
    return Histogram(
        np.sum([c for c, _ in parts], axis=0),
        float(sums[:, 3].sum() / size),
        float(sums[:, 4].sum() / size),
        float(sums[:, 0].min()),
        float(sums[:, 1].max()),
        float(sums[:, 2].sum() / size),
    )

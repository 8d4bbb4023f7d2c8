"""Mip chains as graphics hardware builds them.

References
----------
Williams (1983), *Pyramidal Parametrics*; box filter 2×2, and for odd sides the
polyphase box whose weights are the exact areas, so that no row is lost.
"""

from collections.abc import Callable
from dataclasses import dataclass
from functools import cached_property
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats

_kernels = Lazy("mivex.core.pixels.kernels.mips")

MOST_LEVELS = 15
"""Levels of the largest texture there may be."""
CHAIN = np.dtype(
    [
        ("texels", np.uint64),
        ("levels", np.int64),
        ("wide", np.int64, MOST_LEVELS),
        ("high", np.int64, MOST_LEVELS),
        ("start", np.int64, MOST_LEVELS),
    ]
)
"""A chain as kernels know it: the address of its texels, and each level's size and first texel."""


@dataclass(frozen=True, eq=False)
class MipChain:
    """All levels of one texture in a single buffer.

    Attributes
    ----------
    texels : float32 array (total texels, 4)
        Level after level, rows from the top; linear light, or data as stored.
    offsets, widths, heights : int64 arrays (levels,)
        Where each level starts and its size.
    """

    texels: Floats
    offsets: NDArray[np.int64]
    widths: NDArray[np.int64]
    heights: NDArray[np.int64]

    @property
    def levels(self) -> int:
        """Number of levels, down to 1×1."""
        return len(self.offsets)

    @cached_property
    def record(self) -> NDArray[Any]:
        # Kept with the chain: kernels hold its address, which has to stay good as long as the texels do.
        """The chain for kernels: one `CHAIN`. Good as long as the chain itself lives."""
        made = np.zeros(1, CHAIN)
        n = self.levels
        made["texels"], made["levels"] = self.texels.ctypes.data, n
        made["wide"][0, :n], made["high"][0, :n], made["start"][0, :n] = self.widths, self.heights, self.offsets
        return made

    def level(self, index: int) -> Floats:
        """Level ``index`` as a ``(height, width, 4)`` view."""
        o, w, h = int(self.offsets[index]), int(self.widths[index]), int(self.heights[index])
        return self.texels[o : o + w * h].reshape(h, w, 4)


def halve(level: Floats, *, weigh: bool = False) -> Floats:
    """Average a level down to the next smaller one.

    Parameters
    ----------
    level : float32 array (height, width, 4)
    weigh : bool
        Colour is multiplied by its alpha first: straight texels in, associated ones out.

    Returns
    -------
    float32 array (max(1, height // 2), max(1, width // 2), 4)
    """
    h, w = level.shape[:2]
    out = np.empty((max(1, h // 2), max(1, w // 2), 4), np.float32)
    src = np.ascontiguousarray(level, np.float32)
    run_bands(out.shape[0], lambda a, b: _kernels.halve_rows(src, out, weigh, a, b))
    return out


def build_chain(level0: Floats | tuple[int, ...], fill: Callable[[Floats], object] | None = None) -> MipChain:
    """Build every level from the largest.

    Parameters
    ----------
    level0 : float32 array (height, width, 4), or its (height, width) where ``fill`` is given
        Linear light for colour textures, data as stored for data textures.
        Straight texels are filtered straight, as hardware does.
    fill : callable, optional
        Writes level 0 into the array that it is given, so that no copy is made.

    Returns
    -------
    MipChain
    """
    first = level0 if isinstance(level0, tuple) else level0.shape
    sizes = [(int(first[0]), int(first[1]))]
    while sizes[-1] != (1, 1):
        # Halved and rounded down, to 1 × 1, as graphics hardware and its texture files have it.
        h, w = sizes[-1]
        sizes.append((max(1, h // 2), max(1, w // 2)))
    counts = np.array([h * w for h, w in sizes], np.int64)
    offsets = np.concatenate([[0], np.cumsum(counts)[:-1]]).astype(np.int64)
    chain = MipChain(
        # One buffer for all levels: a sampler needs a base and offsets, and the memory is asked for once.
        np.empty((int(counts.sum()), 4), np.float32),
        offsets,
        np.array([w for _, w in sizes], np.int64),
        np.array([h for h, _ in sizes], np.int64),
    )
    if fill is not None:
        fill(chain.level(0))
    else:
        chain.level(0)[...] = level0
    for i in range(1, len(sizes)):
        upper, lower = chain.level(i - 1), chain.level(i)
        # The lambda takes its levels as defaults: it may run after the loop has gone on.
        run_bands(lower.shape[0], lambda a, b, u=upper, d=lower: _kernels.halve_rows(u, d, False, a, b))  # type: ignore[misc]
    return chain

"""Mip chains as graphics hardware builds them.

References
----------
Williams (1983), *Pyramidal Parametrics*; box filter 2×2, and for odd sides the
polyphase box whose weights are the exact areas, so that no row is lost.
"""

from collections.abc import Callable
from dataclasses import dataclass

import numba as nb
import numpy as np
from numpy.typing import NDArray

from mivex.core.bands import run_bands
from mivex.core.types import Floats


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

    def level(self, index: int) -> Floats:
        """Level ``index`` as a ``(height, width, 4)`` view."""
        o, w, h = int(self.offsets[index]), int(self.widths[index]), int(self.heights[index])
        return self.texels[o:o + w * h].reshape(h, w, 4)


@nb.njit(nogil=True, cache=True)
def _halve_rows(src, dst, weigh, first, last):  # type: ignore[no-untyped-def]
    sh, sw = src.shape[0], src.shape[1]
    dh, dw = dst.shape[0], dst.shape[1]
    if sh == 2 * dh and sw == 2 * dw:
        q = np.float32(0.25)
        for y in range(first, last):
            for x in range(dw):
                if weigh:
                    a00, a01 = src[2 * y, 2 * x, 3], src[2 * y, 2 * x + 1, 3]
                    a10, a11 = src[2 * y + 1, 2 * x, 3], src[2 * y + 1, 2 * x + 1, 3]
                    for k in range(3):
                        dst[y, x, k] = (src[2 * y, 2 * x, k] * a00 + src[2 * y, 2 * x + 1, k] * a01
                                        + src[2 * y + 1, 2 * x, k] * a10 + src[2 * y + 1, 2 * x + 1, k] * a11) * q
                    dst[y, x, 3] = (a00 + a01 + a10 + a11) * q
                    continue
                for c in range(4):
                    dst[y, x, c] = (src[2 * y, 2 * x, c] + src[2 * y, 2 * x + 1, c]
                                    + src[2 * y + 1, 2 * x, c] + src[2 * y + 1, 2 * x + 1, c]) * q
        return
    sy, sx = sh / dh, sw / dw
    for y in range(first, last):
        y_from, y_to = y * sy, (y + 1) * sy
        for x in range(dw):
            x_from, x_to = x * sx, (x + 1) * sx
            red = green = blue = alpha = total = 0.0
            j = int(y_from)
            while j < sh and j < y_to - 1e-9:
                wy = min(y_to, j + 1.0) - max(y_from, float(j))
                i = int(x_from)
                while i < sw and i < x_to - 1e-9:
                    weight = wy * (min(x_to, i + 1.0) - max(x_from, float(i)))
                    own = weight * src[j, i, 3] if weigh else weight
                    red += own * src[j, i, 0]
                    green += own * src[j, i, 1]
                    blue += own * src[j, i, 2]
                    alpha += weight * src[j, i, 3]
                    total += weight
                    i += 1
                j += 1
            dst[y, x, 0] = red / total
            dst[y, x, 1] = green / total
            dst[y, x, 2] = blue / total
            dst[y, x, 3] = alpha / total


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
    run_bands(out.shape[0], lambda a, b: _halve_rows(src, out, weigh, a, b))
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
        h, w = sizes[-1]
        sizes.append((max(1, h // 2), max(1, w // 2)))
    counts = np.array([h * w for h, w in sizes], np.int64)
    offsets = np.concatenate([[0], np.cumsum(counts)[:-1]]).astype(np.int64)
    chain = MipChain(np.empty((int(counts.sum()), 4), np.float32), offsets,
                     np.array([w for _, w in sizes], np.int64), np.array([h for h, _ in sizes], np.int64))
    if fill is not None:
        fill(chain.level(0))
    else:
        chain.level(0)[...] = level0
    for i in range(1, len(sizes)):
        upper, lower = chain.level(i - 1), chain.level(i)
        run_bands(lower.shape[0], lambda a, b, u=upper, d=lower: _halve_rows(u, d, False, a, b))  # type: ignore[misc]
    return chain

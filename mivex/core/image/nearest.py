"""For every texel the nearest texel of a set, exactly.

Down and up each column first, then along each row the lower envelope of the
parabolas that the columns give. Both passes run in bands on every core.
OpenCV's labelled transform is approximate (off by up to 2 % of the distance)
and SciPy's exact one takes five times as long; see ``docs/performance.md``.

References
----------
Felzenszwalb and Huttenlocher (2012), *Distance Transforms of Sampled Functions*.
"""

import numba as nb
import numpy as np
from numpy.typing import NDArray

from mivex.core.bands import run_bands
from mivex.core.types import Floats, Mask

_NONE = -1


@nb.njit(nogil=True, cache=True)
def _columns(mask, near, first, last):  # type: ignore[no-untyped-def]
    """Row of the nearest marked texel in each column of ``first`` to ``last``; -1 where there is none."""
    h = mask.shape[0]
    seen = np.full(last - first, np.int32(_NONE), np.int32)
    for y in range(h):
        for x in range(first, last):
            if mask[y, x]:
                seen[x - first] = y
            near[y, x] = seen[x - first]
    seen[:] = _NONE
    for y in range(h - 1, -1, -1):
        for x in range(first, last):
            if mask[y, x]:
                seen[x - first] = y
            s, n = seen[x - first], near[y, x]
            if s >= 0 and (n < 0 or s - y < y - n):
                near[y, x] = s


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _rows(near, index, distance, first, last):  # type: ignore[no-untyped-def]
    """Lower envelope along rows; ``index`` receives the flat place of the nearest marked texel, ``distance`` how far."""
    w = near.shape[1]
    at = np.empty(w, np.int32)
    edge = np.empty(w + 1, np.float64)
    high = np.empty(w, np.float64)
    for y in range(first, last):
        k = -1
        for x in range(w):
            r = near[y, x]
            if r < 0:
                continue
            g = float(r - y) * (r - y)
            high[x] = g
            s = -np.inf
            while k >= 0:
                p = at[k]
                s = ((g + float(x) * x) - (high[p] + float(p) * p)) / (2.0 * (x - p))
                if s > edge[k]:
                    break
                k -= 1
            if k < 0:
                s = -np.inf
            k += 1
            at[k], edge[k] = x, s
        edge[k + 1] = np.inf
        j = 0
        for x in range(w):
            while edge[j + 1] < x:
                j += 1
            p = at[j]
            index[y, x] = near[y, p] * w + p
            dy, dx = np.float32(near[y, p] - y), np.float32(p - x)
            distance[y, x] = np.sqrt(dy * dy + dx * dx)


def nearest(mask: Mask) -> tuple[NDArray[np.int32], Floats]:
    """For every texel the place of the nearest one in ``mask``, and its distance.

    Parameters
    ----------
    mask : bool array (height, width), true somewhere

    Returns
    -------
    index : int32 array (height, width), into the flattened picture
    distance : float32 array (height, width), texels
    """
    h, w = mask.shape
    near, index = np.empty((h, w), np.int32), np.empty((h, w), np.int32)
    distance: Floats = np.empty((h, w), np.float32)
    run_bands(w, lambda a, b: _columns(mask, near, a, b), per_worker=1)
    run_bands(h, lambda a, b: _rows(near, index, distance, a, b))
    return index, distance

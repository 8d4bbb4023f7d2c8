"""Kernels of `mivex.core.pixels.nearest`."""

import numpy as np

from mivex.core.base.compile import kernel

_NONE = -1


@kernel
def columns_kernel(mask, near, first, last):
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


@kernel
def rows_kernel(near, index, distance, first, last):
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

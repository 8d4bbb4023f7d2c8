"""Kernels of `mivex.core.prepare.spread`."""

import numpy as np

from mivex.core.base.compile import kernel


@kernel
def take_rows(values, index, fill, out, first, last):
    w = fill.shape[1]
    for y in range(first, last):
        for x in range(w):
            j, i = (index[y, x] // w, index[y, x] % w) if fill[y, x] else (y, x)
            out[y, x, 0], out[y, x, 1], out[y, x, 2] = values[j, i, 0], values[j, i, 1], values[j, i, 2]
            out[y, x, 3] = values[y, x, 3]


@kernel
def push_rows(level, coarse, out, first, last):
    """Own average where it is known, the coarser level's, read bilinearly, for the rest."""
    h, w = out.shape[0], out.shape[1]
    ch, cw = coarse.shape[0], coarse.shape[1]
    sy, sx = np.float32(ch / h), np.float32(cw / w)
    half, one = np.float32(0.5), np.float32(1)
    for y in range(first, last):
        v = min(max((np.float32(y) + half) * sy - half, np.float32(0)), np.float32(ch - 1))
        j = int(v)
        fy = v - np.float32(j)
        j1 = min(j + 1, ch - 1)
        for x in range(w):
            weight = level[y, x, 3]
            if weight >= one:
                for c in range(3):
                    out[y, x, c] = level[y, x, c] / weight
                continue
            u = min(max((np.float32(x) + half) * sx - half, np.float32(0)), np.float32(cw - 1))
            i = int(u)
            fx = u - np.float32(i)
            i1 = min(i + 1, cw - 1)
            for c in range(3):
                top = coarse[j, i, c] + (coarse[j, i1, c] - coarse[j, i, c]) * fx
                low = coarse[j1, i, c] + (coarse[j1, i1, c] - coarse[j1, i, c]) * fx
                r = top + (low - top) * fy
                if weight > 0:
                    r += (level[y, x, c] / weight - r) * weight
                out[y, x, c] = r

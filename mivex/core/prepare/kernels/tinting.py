"""Kernels of `mivex.core.prepare.tinting`."""

import numpy as np

from mivex.core.base.compile import kernel


@kernel
def ramp_rows(values, grey, table, out, first, last):
    for y in range(first, last):
        for x in range(grey.shape[1]):
            t = min(max(grey[y, x], np.float32(0)), np.float32(1)) * np.float32(4096)
            k = min(int(t), 4095)
            f = t - np.float32(k)
            for c in range(3):
                out[y, x, c] = table[k, c] + (table[k + 1, c] - table[k, c]) * f
            out[y, x, 3] = values[y, x, 3]

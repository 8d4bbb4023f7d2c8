"""Kernels of `mivex.core.proof.histogram`."""

import numpy as np

from mivex.core.base.compile import kernel


@kernel
def count_rows(values, counts, sums, first, last):
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

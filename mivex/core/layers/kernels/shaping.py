"""Kernels of `mivex.core.layers.shaping`."""

import math

import numpy as np

from mivex.core.base.compile import kernel


@kernel
def largest_along(values, table):
    """Fill ``table`` (levels, h, w): the largest of the 2^k texels from each one on, along its row."""
    h, w = values.shape
    for y in range(h):
        for x in range(w):
            table[0, y, x] = values[y, x]
    for k in range(1, table.shape[0]):
        step = 1 << (k - 1)
        for y in range(h):
            for x in range(w):
                other = table[k - 1, y, x + step] if x + step < w else table[k - 1, y, x]
                table[k, y, x] = max(table[k - 1, y, x], other)


@kernel
def disc_rows(table, radius, out, first, last):
    """The largest value within a disc round each texel: of every row of the disc the largest of two overlapping runs.

    ``table`` as `largest_along` gives it (Bender and Farach-Colton 2000, the sparse table).
    """
    _, h, w = table.shape
    reach = int(math.floor(radius))
    for y in range(first, last):
        for x in range(w):
            out[y, x] = np.float32(0)
        for dy in range(-reach, reach + 1):
            yy = y + dy
            if yy < 0 or yy >= h:
                continue
            half = int(math.floor(math.sqrt(radius * radius - dy * dy)))
            k = 0
            while (2 << k) <= 2 * half + 1:
                k += 1
            span = 1 << k
            for x in range(w):
                a, b = max(x - half, 0), min(x + half, w - 1)
                # At the border the run is shorter than the table's, which leaves out what lies beyond.
                v = max(table[k, yy, a], table[k, yy, max(b - span + 1, a)])
                out[y, x] = max(out[y, x], v)

"""Kernels of `mivex.core.layers.heights`."""

import math

import numpy as np

from mivex.core.base.compile import kernel


@kernel
def normal_rows(height, k, out, first, last):
    """``(−k h_x, k h_y, 1)`` normalised, stored as ``(n + 1)/2``; slopes by Scharr's weights, held at the border."""
    h, w = height.shape
    three, ten, half, one = np.float32(3), np.float32(10), np.float32(0.5), np.float32(1)
    a = k / np.float32(32)
    for y in range(first, last):
        up, here, low = height[max(y - 1, 0)], height[y], height[min(y + 1, h - 1)]
        o = out[y]
        for x in range(w):
            i, j = max(x - 1, 0), min(x + 1, w - 1)
            dx = three * (up[j] - up[i]) + ten * (here[j] - here[i]) + three * (low[j] - low[i])
            dy = three * (low[i] - up[i]) + ten * (low[x] - up[x]) + three * (low[j] - up[j])
            nx, ny = -dx * a, dy * a
            s = half / math.sqrt(nx * nx + ny * ny + one)
            o[x, 0], o[x, 1], o[x, 2] = nx * s + half, ny * s + half, s + half

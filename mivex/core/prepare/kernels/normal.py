"""Kernels of `mivex.core.prepare.normal`."""

import numpy as np

from mivex.core.base.compile import kernel


@kernel
def normal_rows(height, alpha, k, way, out, first, last):
    """``height`` carries one more texel on every side than ``out``."""
    a, b = np.float32(3 / 32), np.float32(10 / 32)
    half = np.float32(0.5)
    for y in range(first, last):
        for x in range(out.shape[1]):
            j, i = y + 1, x + 1
            gx = (
                a * (height[j - 1, i + 1] - height[j - 1, i - 1])
                + b * (height[j, i + 1] - height[j, i - 1])
                + a * (height[j + 1, i + 1] - height[j + 1, i - 1])
            )
            gy = (
                a * (height[j + 1, i - 1] - height[j - 1, i - 1])
                + b * (height[j + 1, i] - height[j - 1, i])
                + a * (height[j + 1, i + 1] - height[j - 1, i + 1])
            )
            nx, ny = -gx * k, gy * k * way
            inv = half / np.sqrt(nx * nx + ny * ny + np.float32(1))
            out[y, x, 0], out[y, x, 1], out[y, x, 2] = nx * inv + half, ny * inv + half, inv + half
            out[y, x, 3] = alpha[y, x]

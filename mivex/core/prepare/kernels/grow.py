"""Kernels of `mivex.core.prepare.grow`."""

import numpy as np

from mivex.core.base.compile import kernel


@kernel
def _read(alpha, y, x):
    """Bilinear at texel centres, held at the border."""
    h, w = alpha.shape
    y, x = min(max(y, np.float32(0)), np.float32(h - 1)), min(max(x, np.float32(0)), np.float32(w - 1))
    j, i = int(y), int(x)
    fy, fx = y - np.float32(j), x - np.float32(i)
    j1, i1 = min(j + 1, h - 1), min(i + 1, w - 1)
    top = alpha[j, i] + (alpha[j, i1] - alpha[j, i]) * fx
    low = alpha[j1, i] + (alpha[j1, i1] - alpha[j1, i]) * fx
    return top + (low - top) * fy


@kernel
def grow_rows(alpha, distance, inward, by, reach, out, first, last):
    amount = abs(by)
    steps = max(1, int(np.ceil(amount)))
    for y in range(first, last):
        for x in range(alpha.shape[1]):
            a = alpha[y, x]
            d = distance[y, x]
            # Too far from the outline for anything to arrive here.
            if (by > 0 and (a >= 1 or d > amount + reach)) or (by < 0 and (a <= 0 or d < -amount - reach)):
                out[y, x] = a
                continue
            gy, gx = inward[y, x, 0], inward[y, x, 1]
            # The far end first: it mostly decides.
            for k in range(steps, 0, -1):
                t = by * np.float32(k) / np.float32(steps)
                v = _read(alpha, np.float32(y) + gy * t, np.float32(x) + gx * t)
                a = max(a, v) if by > 0 else min(a, v)
                if (by > 0 and a >= 1) or (by < 0 and a <= 0):
                    break
            out[y, x] = a


@kernel
def feather_rows(alpha, distance, inward, width, side, smooth, out, first, last):
    one, zero = np.float32(1), np.float32(0)
    for y in range(first, last):
        for x in range(alpha.shape[1]):
            d, a = distance[y, x], alpha[y, x]
            t = -d / width if side == 0 else (one - d / width if side == 1 else np.float32(0.5) - d / (width + width))
            t = min(max(t, zero), one)
            if smooth:
                t = t * t * (np.float32(3) - t - t)
            if side == 0:
                out[y, x] = min(a, t) if t < one else a
                continue
            # What the shape holds just inside the outline is what fades out beyond it.
            reach = max(d, zero) + np.float32(1.5)
            body = _read(alpha, np.float32(y) + inward[y, x, 0] * reach, np.float32(x) + inward[y, x, 1] * reach)
            if d <= zero:
                body = max(body, a)
            out[y, x] = max(a, body * t) if side == 1 or d <= -width else body * t

"""Kernels of `mivex.core.prepare.falloff`."""

import numpy as np

from mivex.core.base.compile import kernel


@kernel
def mask_rows(cy, cx, radius, stretch, cos, sin, soft, code, smooth, out, first, last):
    one, zero, half = np.float32(1), np.float32(0), np.float32(0.5)
    # A hard edge still covers its texels by share, half a texel on either side; a soft one lies within.
    band = max(soft * radius, one)
    out_by = half * max(one - soft * radius, zero)
    for y in range(first, last):
        for x in range(out.shape[1]):
            dx, dy = np.float32(x) + half - cx, np.float32(y) + half - cy
            u, v = (dx * cos + dy * sin) / stretch, dy * cos - dx * sin
            if code == 0:
                d = np.sqrt(u * u + v * v)
            elif code == 1:
                d = v + radius
                # Full above the line, none a radius below its middle.
                d = d * half
            else:
                d = max(abs(u), abs(v))
            t = min(max((radius - d) / band + out_by, zero), one)
            out[y, x] = t * t * (np.float32(3) - t - t) if smooth else t


@kernel
def stroke_kernel(mask, ys, xs, r, erase):
    h, w = mask.shape
    y0, y1 = max(0, int(ys.min() - r)), min(h, int(ys.max() + r) + 2)
    x0, x1 = max(0, int(xs.min() - r)), min(w, int(xs.max() + r) + 2)
    near = np.full((max(y1 - y0, 0), max(x1 - x0, 0)), np.float32(1e12), np.float32)
    for k in range(max(1, ys.size - 1)):
        m = min(k + 1, ys.size - 1)
        ey, ex = ys[m] - ys[k], xs[m] - xs[k]
        long = ey * ey + ex * ex
        for y in range(max(y0, int(min(ys[k], ys[m]) - r)), min(y1, int(max(ys[k], ys[m]) + r) + 2)):
            for x in range(max(x0, int(min(xs[k], xs[m]) - r)), min(x1, int(max(xs[k], xs[m]) + r) + 2)):
                dy, dx = np.float32(y) + np.float32(0.5) - ys[k], np.float32(x) + np.float32(0.5) - xs[k]
                t = np.float32(0)
                if long > 0:
                    t = min(max((dy * ey + dx * ex) / long, np.float32(0)), np.float32(1))
                dy, dx = dy - t * ey, dx - t * ex
                near[y - y0, x - x0] = min(near[y - y0, x - x0], dy * dy + dx * dx)
    for y in range(y0, y1):
        for x in range(x0, x1):
            t = max(np.float32(1) - np.sqrt(near[y - y0, x - x0]) / r, np.float32(0))
            t = t * t * (np.float32(3) - t - t)
            if erase:
                mask[y, x] *= np.float32(1) - t
            else:
                mask[y, x] = max(mask[y, x], t)

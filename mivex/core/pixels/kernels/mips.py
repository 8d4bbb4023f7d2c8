"""Kernels of `mivex.core.pixels.mips`."""

import numpy as np

from mivex.core.base.compile import kernel


@kernel
def halve_rows(src, dst, weigh, first, last):
    sh, sw = src.shape[0], src.shape[1]
    dh, dw = dst.shape[0], dst.shape[1]
    if sh == 2 * dh and sw == 2 * dw:
        q = np.float32(0.25)
        for y in range(first, last):
            for x in range(dw):
                if weigh:
                    a00, a01 = src[2 * y, 2 * x, 3], src[2 * y, 2 * x + 1, 3]
                    a10, a11 = src[2 * y + 1, 2 * x, 3], src[2 * y + 1, 2 * x + 1, 3]
                    for k in range(3):
                        dst[y, x, k] = (
                            src[2 * y, 2 * x, k] * a00
                            + src[2 * y, 2 * x + 1, k] * a01
                            + src[2 * y + 1, 2 * x, k] * a10
                            + src[2 * y + 1, 2 * x + 1, k] * a11
                        ) * q
                    dst[y, x, 3] = (a00 + a01 + a10 + a11) * q
                    continue
                for c in range(4):
                    dst[y, x, c] = (
                        src[2 * y, 2 * x, c]
                        + src[2 * y, 2 * x + 1, c]
                        + src[2 * y + 1, 2 * x, c]
                        + src[2 * y + 1, 2 * x + 1, c]
                    ) * q
        return
    sy, sx = sh / dh, sw / dw
    for y in range(first, last):
        y_from, y_to = y * sy, (y + 1) * sy
        for x in range(dw):
            x_from, x_to = x * sx, (x + 1) * sx
            red = green = blue = alpha = total = 0.0
            j = int(y_from)
            while j < sh and j < y_to - 1e-9:
                wy = min(y_to, j + 1.0) - max(y_from, float(j))
                i = int(x_from)
                while i < sw and i < x_to - 1e-9:
                    weight = wy * (min(x_to, i + 1.0) - max(x_from, float(i)))
                    own = weight * src[j, i, 3] if weigh else weight
                    red += own * src[j, i, 0]
                    green += own * src[j, i, 1]
                    blue += own * src[j, i, 2]
                    alpha += weight * src[j, i, 3]
                    total += weight
                    i += 1
                j += 1
            dst[y, x, 0] = red / total
            dst[y, x, 1] = green / total
            dst[y, x, 2] = blue / total
            dst[y, x, 3] = alpha / total

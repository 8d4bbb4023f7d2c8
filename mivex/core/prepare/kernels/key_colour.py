"""Kernels of `mivex.core.prepare.key_colour`."""

import numpy as np

from mivex.core.base.compile import kernel


@kernel
def key_rows(C, alpha, K, near, far, clean, despill, lead, out, first, last):
    one, zero = np.float32(1), np.float32(0)
    for y in range(first, last):
        for x in range(alpha.shape[1]):
            r, g, b = C[y, x, 0], C[y, x, 1], C[y, x, 2]
            d = np.sqrt((r - K[0]) ** 2 + (g - K[1]) ** 2 + (b - K[2]) ** 2)
            if far - near > np.float32(1e-6):
                a = min(max((d - near) / (far - near), zero), one)
            else:
                a = one if d > far else zero
            if zero < a < one and clean > 0:
                # F = K + (C − K)/α, the colour that was mixed with the key.
                f = (one / a - one) * clean
                r = min(max(r + (r - K[0]) * f, zero), one)
                g = min(max(g + (g - K[1]) * f, zero), one)
                b = min(max(b + (b - K[2]) * f, zero), one)
            if despill > 0 and lead >= 0:
                if lead == 0:
                    r -= max(r - max(g, b), zero) * despill
                elif lead == 1:
                    g -= max(g - max(r, b), zero) * despill
                else:
                    b -= max(b - max(r, g), zero) * despill
            out[y, x, 0], out[y, x, 1], out[y, x, 2], out[y, x, 3] = r, g, b, a * alpha[y, x]

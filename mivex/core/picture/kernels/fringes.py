"""Kernels of `mivex.core.picture.fringes`."""

import numpy as np

from mivex.core.base.compile import inlined, kernel
from mivex.core.pixels.kernels.colour import encode_near


@inlined
def _clip01(v):
    return min(max(v, np.float32(0)), np.float32(1))


@kernel
def seen_difference(p, q, a, grey, encode):
    """Largest display difference of two associated colours of alpha ``a``, 0 to 255. For kernels."""
    worst = np.float32(0)
    if abs(p - q) < np.float32(1e-7):
        return worst
    for k in range(3):
        back = np.float32(0) if k == 0 else (grey if k == 1 else np.float32(1))
        behind = (np.float32(1) - a) * back
        s, t = _clip01(p + behind), _clip01(q + behind)
        d = abs(encode_near(s) - encode_near(t)) if encode else abs(s - t)
        worst = max(worst, d)
    return worst * np.float32(255)


@kernel
def level_rows(straight, true, grey, encode, out, first, last):
    for y in range(first, last):
        for x in range(out.shape[1]):
            a = straight[y, x, 3]
            if not a > 0:
                out[y, x] = -1
                continue
            worst = np.float32(0)
            for c in range(3):
                worst = max(worst, seen_difference(straight[y, x, c] * a, true[y, x, c], a, grey, encode))
            out[y, x] = worst


@kernel
def corner_rows(texels, grey, encode, wrap, out, first, last):
    h, w = out.shape
    q = np.float32(0.25)
    for y in range(first, last):
        y1 = (y + 1) % h if wrap else min(y + 1, h - 1)
        for x in range(w):
            x1 = (x + 1) % w if wrap else min(x + 1, w - 1)
            a00, a01, a10, a11 = texels[y, x, 3], texels[y, x1, 3], texels[y1, x, 3], texels[y1, x1, 3]
            a = (a00 + a01 + a10 + a11) * q
            if not a > 0:
                out[y, x] = -1
                continue
            worst = np.float32(0)
            if not a00 == a01 == a10 == a11:
                for c in range(3):
                    c00, c01, c10, c11 = texels[y, x, c], texels[y, x1, c], texels[y1, x, c], texels[y1, x1, c]
                    straight = (c00 + c01 + c10 + c11) * q * a
                    true = (c00 * a00 + c01 * a01 + c10 * a10 + c11 * a11) * q
                    worst = max(worst, seen_difference(straight, true, a, grey, encode))
            out[y, x] = worst

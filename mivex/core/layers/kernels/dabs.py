"""Kernels of `mivex.core.layers.painting`."""

import math

import numpy as np

from mivex.core.base.compile import kernel


@kernel
def dabs_rows(out, dabs, tip, form, build, wrap, top, left, first, last):
    """Lay dabs down; ``out`` is the piece of the canvas that begins at ``top``, ``left``.

    ``dabs`` (n, 6): x, y, half size in texels; cosine and sine of the turn; flow. ``form``: 0 hard, 1 soft, 2 by the
    picture ``tip``. ``wrap``: 0, or width and height of the canvas that a dab goes round.
    """
    w = out.shape[1]
    zero, half, one = np.float32(0), np.float32(0.5), np.float32(1)
    side = tip.shape[0]
    for k in range(dabs.shape[0]):
        cx, cy, r = dabs[k, 0], dabs[k, 1], dabs[k, 2]
        cos, sin, flow = dabs[k, 3], dabs[k, 4], dabs[k, 5]
        reach = r * (np.float32(1.42) if form == 2 else one) + one
        for yy in range(int(math.floor(cy - reach)), int(math.ceil(cy + reach)) + 1):
            y = (yy % wrap[1] if wrap[1] else yy) - top
            if y < first or y >= last:
                continue
            dy = np.float32(yy) + half - cy
            for xx in range(int(math.floor(cx - reach)), int(math.ceil(cx + reach)) + 1):
                x = (xx % wrap[0] if wrap[0] else xx) - left
                if x < 0 or x >= w:
                    continue
                dx = np.float32(xx) + half - cx
                if form == 2:
                    u = (dx * cos + dy * sin) / r
                    v = (dy * cos - dx * sin) / r
                    u, v = (u + one) * half * np.float32(side) - half, (v + one) * half * np.float32(side) - half
                    iu, iv = int(math.floor(u)), int(math.floor(v))
                    fu, fv = u - np.float32(iu), v - np.float32(iv)
                    t = zero
                    for j in range(2):
                        for i in range(2):
                            if 0 <= iv + j < side and 0 <= iu + i < side:
                                t += tip[iv + j, iu + i] * (fu if i else one - fu) * (fv if j else one - fv)
                else:
                    d = math.sqrt(dx * dx + dy * dy)
                    if form == 0:
                        t = max(zero, min(d + half, r) - max(d - half, -r))
                        t = min(t, one)
                        if r < half:
                            t *= np.float32(2) * r
                    else:
                        q = min(d / max(r, half), one)
                        t = one - q * q * (np.float32(3) - np.float32(2) * q)
                t *= flow
                if build:
                    out[y, x] = one - (one - out[y, x]) * (one - t)
                elif t > out[y, x]:
                    out[y, x] = t


@kernel
def paint_rows(value, weight, stroke, share, colour, add, first, last):
    """Lay a stroke over painted values, which are held multiplied by their weight; ``colour`` empty: clear."""
    w = stroke.shape[1]
    one = np.float32(1)
    for y in range(first, last):
        for x in range(w):
            t = stroke[y, x] * share
            if t <= np.float32(0):
                continue
            for c in range(colour.size):
                value[y, x, c] = value[y, x, c] + colour[c] * t if add else value[y, x, c] * (one - t) + colour[c] * t
            if colour.size == 0:
                for c in range(value.shape[2]):
                    value[y, x, c] *= one - t
                weight[y, x] *= one - t
            elif add:
                weight[y, x] = max(weight[y, x], t)
            else:
                weight[y, x] += (one - weight[y, x]) * t

"""Kernels of `mivex.core.layers.joining`."""

import numpy as np

from mivex.core.base.compile import kernel
from mivex.core.pixels.kernels.colour import encode_near


@kernel
def _row_of(source, y, begin, repeat, row):
    # A row of an array that may be one texel for everything, each value repeated; such a one is filled in once.
    n = row.size
    # What is of one row is filled in with the first row of a band only; the other rows find it as it was.
    if source.shape[0] > 1 or begin:
        y = y if source.shape[0] > 1 else 0
        if source.shape[1] < n // repeat:
            k = source.shape[1]
            for i in range(n):
                row[i] = source[y, i % k]
        elif repeat == 1:
            for i in range(n):
                row[i] = source[y, i]
        else:
            for i in range(n // repeat):
                for c in range(repeat):
                    row[i * repeat + c] = source[y, i]


@kernel
def join_rows(below, value, weight, k, share, code, low, out, first, last):
    """``below + weight · share · (join(below, value) − below)``, held to [low, 1]; ``k`` values a texel in each row."""
    n = out.shape[1]
    one = np.float32(1)
    # Rows of scratch once for a band: all inputs become rows of the same length, and the loops below run on
    # vectors.
    b, v, m, j = (np.empty(n, np.float32), np.empty(n, np.float32), np.empty(n, np.float32), np.empty(n, np.float32))
    for y in range(first, last):
        _row_of(below, y, y == first, 1, b)
        _row_of(value, y, y == first, 1, v)
        _row_of(weight, y, y == first, k, m)
        if code == 0:
            for i in range(n):
                j[i] = v[i]
        elif code == 1:
            for i in range(n):
                j[i] = b[i] * v[i]
        elif code == 2:
            for i in range(n):
                j[i] = b[i] + v[i]
        elif code == 3:
            for i in range(n):
                j[i] = one - (one - b[i]) * (one - v[i])
        elif code == 4:
            for i in range(n):
                j[i] = max(b[i], v[i])
        else:
            for i in range(n):
                j[i] = min(b[i], v[i])
        o = out[y]
        for i in range(n):
            t = m[i] * share
            r = b[i] + (j[i] - b[i]) * t
            # To the bit at full share: b + (j − b) need not give j in float32, and what covers wholly must hide wholly.
            r = j[i] if t == one else r
            o[i] = min(max(r, low), one)


@kernel
def light_rows(below, alpha, value, cover, wc, wo, sc, so, out, solid, first, last):
    """Colour and opacity together: both weighed by what is seen of them, so that clear texels lend no colour."""
    w = solid.shape[1]
    zero, one = np.float32(0), np.float32(1)
    b, v, p3 = np.empty(3 * w, np.float32), np.empty(3 * w, np.float32), np.empty(3 * w, np.float32)
    a, o, m, n, p = (
        np.empty(w, np.float32),
        np.empty(w, np.float32),
        np.empty(w, np.float32),
        np.empty(w, np.float32),
        np.empty(w, np.float32),
    )
    for y in range(first, last):
        begin = y == first
        _row_of(below, y, begin, 1, b)
        _row_of(value, y, begin, 1, v)
        _row_of(alpha, y, begin, 1, a)
        _row_of(cover, y, begin, 1, o)
        _row_of(wc, y, begin, 1, m)
        _row_of(wo, y, begin, 1, n)
        s = solid[y]
        for x in range(w):
            k = m[x] * sc
            # What is seen of the new colour, against what is seen of both; zero over zero where neither is, then the
            # new one counts.
            over = k * o[x]
            seen = (one - k) * a[x] + over
            p[x] = over / seen if seen > zero else (one if k > zero else zero)
            t = n[x] * so
            r = a[x] + (o[x] - a[x]) * t
            s[x] = o[x] if t == one else r
        # Once for each colour value, so that the loop below has one run over the row and no division by three.
        for x in range(w):
            t = p[x]
            p3[3 * x], p3[3 * x + 1], p3[3 * x + 2] = t, t, t
        row3 = out[y]
        for i in range(3 * w):
            t = p3[i]
            r = b[i] + (v[i] - b[i]) * t
            row3[i] = v[i] if t == one else r


@kernel
def surface_rows(rgb, alpha, encode, out, first, last):
    """Colour (its first three channels) and opacity side by side; either may be of one texel. ``encode``: for display."""
    w = out.shape[1]
    fixed, flat = rgb.shape[1] == 1, alpha.shape[1] == 1
    for y in range(first, last):
        colour = rgb[y] if rgb.shape[0] > 1 else rgb[0]
        cover = alpha[y] if alpha.shape[0] > 1 else alpha[0]
        for x in range(w):
            i, j = 0 if fixed else x, 0 if flat else x
            for c in range(3):
                v = colour[i, c]
                out[y, x, c] = encode_near(v) if encode else v
            out[y, x, 3] = cover[j]

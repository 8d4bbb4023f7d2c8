"""Kernels of `mivex.core.layers.painting`."""

import math

import numpy as np

from mivex.core.base.compile import kernel


@kernel
def dabs_rows(out, dabs, tip, form, build, wrap, top, left, first, last):
    """Lay dabs down; ``out`` is the piece of the canvas that begins at ``top``, ``left``.

    ``dabs`` (n, 7): x, y, half size in texels; cosine and sine of the turn; flow; −1 turned over. ``form``: 0 hard, 1 soft,
    2 by the picture ``tip``. ``wrap``: 0, or width and height of the canvas that a dab goes round.

    A tip thinner than a texel leaves in each texel the share of it that its line covers: its width is held at a texel,
    and it is fainter by so much.
    """
    w = out.shape[1]
    zero, half, one = np.float32(0), np.float32(0.5), np.float32(1)
    side = tip.shape[0]
    for k in range(dabs.shape[0]):
        cx, cy, r = dabs[k, 0], dabs[k, 1], dabs[k, 2]
        cos, sin, flow, side_up = dabs[k, 3], dabs[k, 4], dabs[k, 5], dabs[k, 6]
        # A soft tip thinner than a texel would fall between their middles: it is held a texel wide and made fainter.
        wide = max(r, one) if form == 1 else r
        if form == 1:
            flow *= r / wide
        # A picture of a tip fills a square: its corners lie √2 of the half size from the middle.
        reach = wide * (np.float32(1.42) if form == 2 else one) + one
        for yy in range(int(math.floor(cy - reach)), int(math.ceil(cy + reach)) + 1):
            # Rows outside of this band are another thread's: every band walks all dabs and lays its own share of them.
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
                    dx *= side_up
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
                        # How much of a line of one texel, at that distance from the middle, lies within the disc: exact
                        # for large tips.
                        t = max(zero, min(d + half, r) - max(d - half, -r))
                        t = min(t, one)
                    else:
                        q = min(d / wide, one)
                        t = one - q * q * (np.float32(3) - np.float32(2) * q)
                t *= flow
                # Without building up, the largest counts: dabs of one stroke that overlap leave no more than one.
                if build:
                    out[y, x] = one - (one - out[y, x]) * (one - t)
                elif t > out[y, x]:
                    out[y, x] = t


@kernel
def ways(way, pressed, gap, least, most):
    """Ways along a line at which dabs stand: each ``gap`` times the pressure there behind the one before.

    Parameters
    ----------
    way, pressed : float64 arrays (n,)
        How far each of its points lies from the first, and the pressure there.
    gap, least : float
        The gap at full pressure, and the smallest there is.
    most : int
        So many dabs at most.
    """
    out = np.empty(most)
    n, i, s = 0, 0, 0.0
    end = way[-1] + 1e-9 * max(gap, 1e-9)
    while s <= end and n < most:
        out[n] = s
        n += 1
        while i < way.size - 2 and way[i + 1] < s:
            i += 1
        p = pressed[0]
        if way.size > 1:
            span = way[i + 1] - way[i]
            share = min(max((s - way[i]) / span, 0.0), 1.0) if span > 0 else 0.0
            p = pressed[i] + (pressed[i + 1] - pressed[i]) * share
        s += max(gap * p, least)
    return out[:n]


@kernel
def area_rows(corners, out, first, last):
    """Share of each texel that lies inside a polygon, by even and odd: exact along rows, of 32 lines a texel."""
    lines = 32
    w, n = out.shape[1], corners.shape[0]
    met = np.empty(n)
    cover = np.empty(w + 2)
    for y in range(first, last):
        cover[:] = 0.0
        some = False
        for k in range(lines):
            at = y + (k + 0.5) / lines
            count = 0
            for i in range(n):
                x0, y0 = corners[i]
                x1, y1 = corners[(i + 1) % n]
                if (y0 <= at) != (y1 <= at):
                    x = x0 + (at - y0) * (x1 - x0) / (y1 - y0)
                    j = count
                    while j > 0 and met[j - 1] > x:
                        met[j] = met[j - 1]
                        j -= 1
                    met[j] = x
                    count += 1
            for i in range(count - count % 2):
                # From here on everything to the right is inside (or no more): the texel itself by its share.
                x = min(max(met[i], 0.0), float(w))
                cell = int(x)
                sign = 1.0 if i % 2 == 0 else -1.0
                cover[cell] += sign * (cell + 1 - x)
                cover[cell + 1] += sign * (x - cell)
                some = True
        if some:
            total = 0.0
            for x in range(w):
                total += cover[x]
                out[y, x] = min(max(total / lines, 0.0), 1.0)


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

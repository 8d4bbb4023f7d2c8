"""Kernels of `mivex.core.pixels.outline`."""

import numpy as np

from mivex.core.base.compile import inlined, kernel


@inlined
def _cut(a, b, at):
    return (at - a) / (b - a)


@kernel
def mark_rows(alpha, at, cells, first, last):
    """Zero in ``cells`` wherever the square to the right of and below a texel holds outline."""
    h, w = alpha.shape
    for y in range(first, min(last, h - 1)):
        for x in range(w - 1):
            n = (alpha[y, x] >= at) + (alpha[y, x + 1] >= at) + (alpha[y + 1, x] >= at) + (alpha[y + 1, x + 1] >= at)
            if 0 < n < 4:
                cells[y, x] = 0


@kernel
def pieces_kernel(alpha, at, places, out):
    """The one or two straight pieces in each marked square: y0, x0, y1, x1 each; NaN where there is no second."""
    w = alpha.shape[1]
    for k in range(places.size):
        y, x = places[k] // w, places[k] % w
        a, b, c, d = alpha[y, x], alpha[y, x + 1], alpha[y + 1, x], alpha[y + 1, x + 1]
        py, px = np.empty(4, np.float32), np.empty(4, np.float32)
        n = 0
        # Round the square: top, right, bottom, left.
        if (a >= at) != (b >= at):
            py[n], px[n] = 0, _cut(a, b, at)
            n += 1
        if (b >= at) != (d >= at):
            py[n], px[n] = _cut(b, d, at), 1
            n += 1
        if (c >= at) != (d >= at):
            py[n], px[n] = 1, _cut(c, d, at)
            n += 1
        if (a >= at) != (c >= at):
            py[n], px[n] = _cut(a, c, at), 0
            n += 1
        i, j, m, o = 0, 1, 2, 3
        if n == 4 and ((a >= at) == ((a + b + c + d) * np.float32(0.25) >= at)):
            # Opposite corners joined through the middle: the pieces cut off the two others.
            i, j, m, o = 0, 1, 2, 3
        elif n == 4:
            i, j, m, o = 3, 0, 1, 2
        out[k, 0], out[k, 1], out[k, 2], out[k, 3] = py[i] + y, px[i] + x, py[j] + y, px[j] + x
        if n == 4:
            out[k, 4], out[k, 5], out[k, 6], out[k, 7] = py[m] + y, px[m] + x, py[o] + y, px[o] + x
        else:
            out[k, 4] = np.nan


@inlined
def _to_piece(y, x, y0, x0, y1, x1):
    """Squared distance to a straight piece, and the vector there."""
    ey, ex = y1 - y0, x1 - x0
    long = ey * ey + ex * ex
    t = np.float32(0)
    if long > 0:
        t = min(max(((y - y0) * ey + (x - x0) * ex) / long, np.float32(0)), np.float32(1))
    dy, dx = y0 + t * ey - y, x0 + t * ex - x
    return dy * dy + dx * dx, dy, dx


_LOOK = np.array([[0, 0], [2, 0], [-2, 0], [0, 2], [0, -2], [3, 3], [3, -3], [-3, 3], [-3, -3]])


@kernel
def distance_rows(alpha, at, rough, index, number, cells, pieces, limit, out, inward, first, last):
    h, w = alpha.shape
    for y in range(first, last):
        fy = np.float32(y)
        for x in range(w):
            inside = alpha[y, x] >= at
            near = rough[y, x]
            if near > limit + 3:
                out[y, x] = -near if inside else near
                continue
            fx = np.float32(x)
            best, by, bx = np.float32(1e12), np.float32(0), np.float32(0)
            # Another stretch of the outline may pass nearer than that of the nearest square: the neighbours know of it.
            start, closest = index[y, x], np.float32(1e12)
            for k in range(_LOOK.shape[0]):
                j, i = min(max(y + _LOOK[k, 0], 0), h - 1), min(max(x + _LOOK[k, 1], 0), w - 1)
                other = index[j, i]
                if k == 0 or other != start:
                    m = number[other]
                    d, dy, dx = _to_piece(fy, fx, pieces[m, 0], pieces[m, 1], pieces[m, 2], pieces[m, 3])
                    if d < closest:
                        closest, start = d, other
            cy, cx = start // w, start % w
            moved = True
            while moved:
                moved = False
                ny, nx = cy, cx
                for j in range(max(cy - 1, 0), min(cy + 2, h - 1)):
                    for i in range(max(cx - 1, 0), min(cx + 2, w - 1)):
                        if cells[j, i] != 0:
                            continue
                        m = number[j * w + i]
                        d, dy, dx = _to_piece(fy, fx, pieces[m, 0], pieces[m, 1], pieces[m, 2], pieces[m, 3])
                        if d < best - np.float32(1e-6):
                            best, by, bx, ny, nx, moved = d, dy, dx, j, i, True
                        if pieces[m, 4] == pieces[m, 4]:
                            d, dy, dx = _to_piece(fy, fx, pieces[m, 4], pieces[m, 5], pieces[m, 6], pieces[m, 7])
                            if d < best - np.float32(1e-6):
                                best, by, bx, ny, nx, moved = d, dy, dx, j, i, True
                if ny == cy and nx == cx:
                    moved = False
                cy, cx = ny, nx
            d = np.sqrt(best)
            if d > np.float32(0.02):
                sign = np.float32(-1) if inside else np.float32(1)
                inward[y, x, 0], inward[y, x, 1] = sign * by / d, sign * bx / d
            else:
                # On the outline: across it, by the slope of alpha.
                gy = alpha[min(y + 1, h - 1), x] - alpha[max(y - 1, 0), x]
                gx = alpha[y, min(x + 1, w - 1)] - alpha[y, max(x - 1, 0)]
                g = max(np.sqrt(gy * gy + gx * gx), np.float32(1e-9))
                inward[y, x, 0], inward[y, x, 1] = gy / g, gx / g
            out[y, x] = -d if inside else d

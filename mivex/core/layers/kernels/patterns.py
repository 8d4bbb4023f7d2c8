"""Kernels of `mivex.core.layers.patterns`."""

import math

import numpy as np

from mivex.core.base.compile import inlined, kernel


@kernel
def cells_rows(px, py, value, near, second, which, first, last):
    """Distance to the nearest and the second nearest point, in cells, and the nearest one's own value.

    ``px``, ``py``: places of the points (ny, nx), in cells; the lattice repeats.
    """
    h, w = near.shape
    ny, nx = px.shape
    # Farther than any point can be, so that the first one met is taken; kept in float32, which holds it easily.
    far, step = np.float32(1e9), np.float32(nx) / np.float32(w)
    place = np.empty(w, np.float32)
    for x in range(w):
        place[x] = (np.float32(x) + np.float32(0.5)) * step
    for y in range(first, last):
        v = (np.float32(y) + np.float32(0.5)) / np.float32(h) * np.float32(ny)
        iy = min(int(v), ny - 1)
        best, after, who = near[y], second[y], which[y]
        x0 = 0
        for ix in range(nx):
            # Texels of one cell share its nine neighbours.
            x1 = w if ix == nx - 1 else int(math.ceil(np.float64(w) * (ix + 1) / nx - 0.5))
            # Slices, not indices: so the loops need no bounds and run on vectors.
            b_run, a_run, w_run, u_run = best[x0:x1], after[x0:x1], who[x0:x1], place[x0:x1]
            for x in range(b_run.size):
                b_run[x], a_run[x], w_run[x] = far, far, np.float32(0)
            for j in range(iy - 1, iy + 2):
                jj = j % ny
                for i in range(ix - 1, ix + 2):
                    # Wrapped: cells at the left edge have those at the right as neighbours, so the pattern repeats.
                    ii = i % nx
                    dy = np.float32(j) + py[jj, ii] - v
                    cx, dy2, own = np.float32(i) + px[jj, ii], dy * dy, value[jj, ii]
                    for x in range(b_run.size):
                        dx = cx - u_run[x]
                        d = dx * dx + dy2
                        b = b_run[x]
                        # Without a branch: the nearer of old nearest and new one stays, the other becomes the second;
                        # this runs on vectors.
                        a_run[x] = min(max(b, d), a_run[x])
                        w_run[x] = own if d < b else w_run[x]
                        b_run[x] = min(b, d)
            x0 = x1
        for x in range(w):
            best[x], after[x] = math.sqrt(best[x]), math.sqrt(after[x])


@kernel
def smooth_rows(x, low, scale, out, first, last):
    """``3t² − 2t³`` of ``t = (x − low) · scale``, held to [0, 1]."""
    zero, one = np.float32(0), np.float32(1)
    for y in range(first, last):
        a, o = x[y], out[y]
        for i in range(a.size):
            t = min(max((a[i] - low) * scale, zero), one)
            o[i] = t * t * (np.float32(3) - np.float32(2) * t)


@inlined
def _overlap(d, r):
    # How much of a texel at a distance from a line's middle lies on the line.
    half = np.float32(0.5)
    return max(np.float32(0), min(d + half, r) - max(d - half, -r))


@kernel
def marks_rows(out, marks, dome, first, last):
    """Draw tapered strokes that go on at the other side; where two meet the larger value stays.

    ``marks`` (n, 8): ends x, y, x, y in texels; half widths there; values there. ``dome``: rounded across, not flat.
    """
    h, w = out.shape
    one = np.float32(1)
    for k in range(marks.shape[0]):
        x0, y0, x1, y1 = marks[k, 0], marks[k, 1], marks[k, 2], marks[k, 3]
        r0, r1, v0, v1 = marks[k, 4], marks[k, 5], marks[k, 6], marks[k, 7]
        # Half a texel beyond the radius is still covered in part; one whole texel is the next round number.
        reach = max(r0, r1) + one
        top, low = int(math.floor(min(y0, y1) - reach)), int(math.ceil(max(y0, y1) + reach)) + 1
        left, right = int(math.floor(min(x0, x1) - reach)), int(math.ceil(max(x0, x1) + reach)) + 1
        ex, ey = x1 - x0, y1 - y0
        long2 = ex * ex + ey * ey
        for yy in range(top, low):
            # What leaves one side comes in at the other; a band takes of it what falls into its rows.
            y = yy % h
            if y < first or y >= last:
                continue
            py = np.float32(yy) + np.float32(0.5) - y0
            for xx in range(left, right):
                px = np.float32(xx) + np.float32(0.5) - x0
                t = np.float32(0)
                # A stroke without length is a dot.
                if long2 > np.float32(1e-6):
                    t = min(max((px * ex + py * ey) / long2, np.float32(0)), one)
                dx, dy = px - t * ex, py - t * ey
                # Tapered: the radius changes evenly from one end to the other, and so does the value.
                d = math.sqrt(dx * dx + dy * dy)
                r = r0 + (r1 - r0) * t
                if d > r + np.float32(0.5):
                    continue
                c = _overlap(d, r)
                if long2 <= np.float32(1e-6) and r < np.float32(0.5):
                    c = c * np.float32(2) * r  # a point thinner than a texel
                v = (v0 + (v1 - v0) * t) * c
                # A dome of less than a texel would be an average over less than one texel: it is as high as it is
                # covered.
                if dome and r > np.float32(0.5):
                    s = min(d / r, one)
                    v *= math.sqrt(max(one - s * s, np.float32(0)))
                x = xx % w
                out[y, x] = max(out[y, x], v)


@inlined
def _rounded(ex, ey, rx, ry, corner):
    # The corner's circle stands so far inside; its distance less its radius is that of the whole outline.
    # Distance to a rectangle with rounded corners, below zero inside.
    zero = np.float32(0)
    dx, dy = ex - rx + corner, ey - ry + corner
    return np.float32(math.sqrt(max(dx, zero) ** 2 + max(dy, zero) ** 2) + min(max(dx, dy), zero) - corner)


@inlined
def _cornered(ex, ey, rx, ry, corner):
    # Share of a texel inside a rounded rectangle: exact across, the mean of thin rows down.
    zero, half = np.float32(0), np.float32(0.5)
    inside = _rounded(ex + half, ey + half, rx, ry, corner)
    if inside <= zero and ex >= half and ey >= half:
        return np.float32(1)
    # Across each row the overlap is exact; only the curve of the corner down the texel is a mean of rows.
    # Small holes are mostly corner: there a miscount of one thin row would be seen in the share that they take.
    n = 32 if min(rx, ry) < np.float32(6) else 16
    step = np.float32(1) / np.float32(n)
    total = zero
    for b in range(n):
        ty = abs(ey - half + (np.float32(b) + half) * step)
        if ty < ry:
            up = max(ty - ry + corner, zero)
            total += _overlap(ex, rx - corner + math.sqrt(max(corner * corner - up * up, zero)))
    return total * step


@kernel
def holes_rows(out, nx, ny, shift, rx, ry, corner, soft, first, last):
    """Coverage by rounded rectangles on a lattice whose odd rows are shifted by a share of the pitch.

    ``rx``, ``ry``, ``corner``, ``soft`` in texels: half sizes, radius of the corners, width of the edge.
    """
    h, w = out.shape
    zero, half = np.float32(0), np.float32(0.5)
    sx, sy = np.float32(w) / np.float32(nx), np.float32(h) / np.float32(ny)
    for y in range(first, last):
        v = np.float32(y) + half
        # A hole may reach into the rows above and below its own, never further.
        row = int(v / sy)
        # Three rows of the lattice and three columns: holes are never larger than the pitch.
        for x in range(w):
            u = np.float32(x) + half
            best = zero
            for j in range(row - 1, row + 2):
                move = shift * sx if j % 2 else zero
                ey = abs(v - (np.float32(j) + half) * sy)
                i = math.floor((u - move) / sx)
                if ey > ry + soft:
                    continue
                for k in range(-1, 2):
                    ex = abs(u - move - (np.float32(i + k) + half) * sx)
                    if ex > rx + soft:
                        continue
                    if soft > np.float32(1):
                        c = min(max(half - _rounded(ex, ey, rx, ry, corner) / soft, zero), np.float32(1))
                    elif ex + half > rx - corner and ey + half > ry - corner:
                        c = _cornered(ex, ey, rx, ry, corner)
                    # Straight sides cover a texel by the product of both overlaps; only corners need rows.
                    else:
                        # Straight sides cover a texel exactly as far as they reach into it.
                        c = _overlap(ex, rx) * _overlap(ey, ry)
                    # The larger of two that overlap: a union of holes, not a sum.
                    best = max(best, c)
            out[y, x] = best

"""The raster kernels: triangles into a colour and a depth buffer, as hardware draws them.

Perspective-correct texture coordinates, level of detail from their screen-space
derivatives, trilinear sampling of straight texels, depth test and write, and
the seven blends in linear light. A triangle covers the pixels whose centres lie
in it, left and top edges included, so that neighbours share no pixel and leave
no gap. Depth is kept as ``1/w``, which is linear on screen; larger is nearer.

References
----------
Pineda (1988), *A Parallel Algorithm for Polygon Rasterization* (fill rule);
Heckbert (1989), *Fundamentals of Texture Mapping and Image Warping*.
"""

import math

import numba as nb
import numpy as np
from numpy.typing import NDArray

NEAR = 0.02
"""Nearest drawn distance in metres."""


@nb.njit(nogil=True, cache=True)
def clear(colour, depth, grey, first, last):  # type: ignore[no-untyped-def]
    """Make rows ``first`` to ``last`` a grey of alpha 0, infinitely far."""
    for y in range(first, last):
        for x in range(colour.shape[1]):
            colour[y, x, 0], colour[y, x, 1], colour[y, x, 2], colour[y, x, 3] = grey, grey, grey, np.float32(0)
            depth[y, x] = np.float32(0)


@nb.njit(nogil=True, cache=True)
def _put(out, n, x, y, z, u, v, s, fx, cx, cy):  # type: ignore[no-untyped-def]
    iw = 1.0 / z
    out[n, 0], out[n, 1], out[n, 2] = cx + fx * x * iw, cy - fx * y * iw, iw
    out[n, 3], out[n, 4], out[n, 5] = u * iw, v * iw, s * iw


@nb.njit(nogil=True, cache=True)
def project(tris, view, fx, cx, cy, near, both_faces, out):  # type: ignore[no-untyped-def]
    """Bring triangles to the screen, clipped at the near plane; returns how many were written.

    Parameters
    ----------
    tris : float64 array (n, 3, 6)
        Corners as x, y, z in metres, u, v, shade; counter-clockwise from the front.
    view : float64 array (3, 4)
        World to camera: right, up, forward.
    fx, cx, cy : float
        Focal length and centre in pixels.
    near : float
    both_faces : bool
        Keep triangles seen from behind.
    out : float64 array (2 n, 3, 6)
        Screen x, y, 1/w, u/w, v/w, shade/w.
    """
    count = 0
    poly = np.empty((4, 6))
    cam = np.empty((3, 6))
    for t in range(tris.shape[0]):
        inside = 0
        for k in range(3):
            for i in range(3):
                cam[k, i] = (view[i, 0] * tris[t, k, 0] + view[i, 1] * tris[t, k, 1]
                             + view[i, 2] * tris[t, k, 2] + view[i, 3])
            for i in range(3, 6):
                cam[k, i] = tris[t, k, i]
            if cam[k, 2] >= near:
                inside += 1
        if inside == 0:
            continue
        m = 0
        for k in range(3):
            j = (k + 1) % 3
            if cam[k, 2] >= near:
                poly[m] = cam[k]
                m += 1
            if (cam[k, 2] >= near) != (cam[j, 2] >= near):
                # The same crossing whichever way the edge is walked, so that neighbours stay joined.
                p, q = (k, j) if cam[k, 2] < cam[j, 2] else (j, k)
                f = (near - cam[p, 2]) / (cam[q, 2] - cam[p, 2])
                for i in range(6):
                    poly[m, i] = cam[p, i] + (cam[q, i] - cam[p, i]) * f
                m += 1
        for k in range(1, m - 1):
            for j, c in enumerate((0, k, k + 1)):
                _put(out[count], j, poly[c, 0], poly[c, 1], poly[c, 2], poly[c, 3], poly[c, 4], poly[c, 5],
                     fx, cx, cy)
            ax, ay = out[count, 1, 0] - out[count, 0, 0], out[count, 1, 1] - out[count, 0, 1]
            bx, by = out[count, 2, 0] - out[count, 0, 0], out[count, 2, 1] - out[count, 0, 1]
            area = ax * by - ay * bx
            # On screen y runs down: counter-clockwise in the world has negative area.
            if area != 0 and (both_faces or area < 0):
                count += 1
    return count


@nb.njit(nogil=True, cache=True)
def _span(tri, yc):  # type: ignore[no-untyped-def]
    """Where the row at ``yc`` enters and leaves a triangle; each edge is always walked downwards."""
    lo, hi = math.inf, -math.inf
    for k in range(3):
        j = (k + 1) % 3
        x0, y0, x1, y1 = tri[k, 0], tri[k, 1], tri[j, 0], tri[j, 1]
        if y0 > y1 or (y0 == y1 and x0 > x1):
            x0, y0, x1, y1 = x1, y1, x0, y0
        if y0 <= yc < y1:
            x = x0 + (yc - y0) * ((x1 - x0) / (y1 - y0))
            lo, hi = min(lo, x), max(hi, x)
    return lo, hi


_FAST = {"contract", "nsz", "arcp", "reassoc"}


@nb.njit(nogil=True, cache=True, fastmath=_FAST, error_model="numpy", inline="always")
def _taps(u, v, w, h, wrap):  # type: ignore[no-untyped-def]
    """The four texels round a place in one level, and their weights."""
    half, one = np.float32(0.5), np.float32(1)
    x, y = u * np.float32(w) - half, v * np.float32(h) - half
    fx, fy = np.floor(x), np.floor(y)
    ix, iy = int(fx), int(fy)
    fx, fy = x - fx, y - fy
    jx, jy = ix + 1, iy + 1
    if wrap:
        if (w & (w - 1)) | (h & (h - 1)):
            ix, jx, iy, jy = ix % w, jx % w, iy % h, jy % h
        else:  # powers of two: a mask in place of a division
            ix, jx, iy, jy = ix & (w - 1), jx & (w - 1), iy & (h - 1), jy & (h - 1)
    else:
        ix, jx = min(max(ix, 0), w - 1), min(max(jx, 0), w - 1)
        iy, jy = min(max(iy, 0), h - 1), min(max(jy, 0), h - 1)
    w11 = fx * fy
    w01, w10 = fx - w11, fy - w11
    return iy * w + ix, iy * w + jx, jy * w + ix, jy * w + jx, one - fx - w10, w01, w10, w11


@nb.njit(nogil=True, cache=True, error_model="numpy", inline="always")
def _inside(start, step, last, lo, hi):  # type: ignore[no-untyped-def]
    """Narrow ``lo`` to ``hi`` to where ``start + step · i`` stays well between 0 and ``last``."""
    e = np.float32(1e-3)
    low, high = e, np.float32(last) - e
    if abs(step) < np.float32(1e-9):
        return (lo, hi) if low <= start <= high else (0, 0)
    p, q = (low - start) / step, (high - start) / step
    p, q = min(p, q), max(p, q)
    return max(lo, int(math.ceil(max(p, np.float32(-1))))), min(hi, int(math.floor(min(q, np.float32(1 << 20)))))


@nb.njit(nogil=True, cache=True, fastmath=_FAST, error_model="numpy")
def _row_close(texels, w, h, u0, v0, du, dv, n, wrap, shade, dshade, tint, row):  # type: ignore[no-untyped-def]
    """Sample level 0 along a row on which u and v run evenly; the case that sprites close up meet."""
    half = np.float32(0.5)
    W, H = np.float32(w), np.float32(h)
    x0, y0, dx, dy = u0 * W - half, v0 * H - half, du * W, dv * H
    # The stretch whose four texels all lie inside needs no addressing.
    lo, hi = _inside(x0, dx, w - 1, 0, n)
    lo, hi = _inside(y0, dy, h - 1, lo, hi)
    tr, tg, tb, ta = tint[0], tint[1], tint[2], tint[3]
    for i in range(n):
        f = np.float32(i)
        if lo <= i < hi:
            x, y = x0 + dx * f, y0 + dy * f
            ix, iy = int(x), int(y)
            fx, fy = x - np.float32(ix), y - np.float32(iy)
            wd = fx * fy
            wb, wc = fx - wd, fy - wd
            wa = np.float32(1) - fx - wc
            a = np.uint64(iy * w + ix)
            b, c, d = a + np.uint64(1), a + np.uint64(w), a + np.uint64(w + 1)
        else:
            p, q, r, e, wa, wb, wc, wd = _taps(u0 + du * f, v0 + dv * f, w, h, wrap)
            a, b, c, d = np.uint64(p), np.uint64(q), np.uint64(r), np.uint64(e)
        s = shade + dshade * f
        row[i, 0] = (texels[a, 0] * wa + texels[b, 0] * wb + texels[c, 0] * wc + texels[d, 0] * wd) * (tr * s)
        row[i, 1] = (texels[a, 1] * wa + texels[b, 1] * wb + texels[c, 1] * wc + texels[d, 1] * wd) * (tg * s)
        row[i, 2] = (texels[a, 2] * wa + texels[b, 2] * wb + texels[c, 2] * wc + texels[d, 2] * wd) * (tb * s)
        row[i, 3] = (texels[a, 3] * wa + texels[b, 3] * wb + texels[c, 3] * wc + texels[d, 3] * wd) * ta


@nb.njit(nogil=True, cache=True, fastmath=_FAST, error_model="numpy", inline="always")
def _level_of(rho2, top):  # type: ignore[no-untyped-def]
    """Level and fraction of ``log2 √rho2``, to within 0.0005; hardware keeps no more than 8 bits of it."""
    level = 0
    while rho2 >= np.float32(4) and level < top:
        rho2 *= np.float32(0.25)
        level += 1
    if level >= top:
        return top, np.float32(0)
    # Chebyshev fit of ½ log2 on [1, 4].
    f = np.float32(-1.1470766) + rho2 * (np.float32(1.7582853) + rho2 * (np.float32(-0.8157414) + rho2 * (
        np.float32(0.24080344) + rho2 * (np.float32(-0.03830964) + rho2 * np.float32(0.00250185)))))
    return level, min(max(f, np.float32(0)), np.float32(1))


@nb.njit(nogil=True, cache=True, fastmath=_FAST, error_model="numpy")
def _row_far(texels, offsets, widths, heights, start, across, down, n, wrap, tint, row):  # type: ignore[no-untyped-def]
    """Sample a row in perspective; ``start``, ``across``, ``down``: 1/w, u/w, v/w, s/w and derivatives."""
    W, H = np.float32(widths[0]), np.float32(heights[0])
    rw, ru, rv, rs = start[0], start[1], start[2], start[3]
    gw, gu, gv, gs = across[0], across[1], across[2], across[3]
    hw, hu, hv = down[0], down[1], down[2]
    one = np.float32(1)
    top = len(offsets) - 1
    for i in range(n):
        f = np.float32(i)
        w = one / (rw + gw * f)
        u, v = (ru + gu * f) * w, (rv + gv * f) * w
        ux, vx = (gu - u * gw) * w * W, (gv - v * gw) * w * H
        uy, vy = (hu - u * hw) * w * W, (hv - v * hw) * w * H
        rho2 = max(ux * ux + vx * vx, uy * uy + vy * vy)
        level, t = 0, np.float32(0)
        if rho2 > one:
            level, t = _level_of(rho2, top)
        s = (rs + gs * f) * w
        a, b, c, d, wa, wb, wc, wd = _taps(u, v, widths[level], heights[level], wrap)
        o = offsets[level]
        a, b, c, d = np.uint64(o + a), np.uint64(o + b), np.uint64(o + c), np.uint64(o + d)
        if t > np.float32(0.002):
            p, q, r, e, wp, wq, wr, we = _taps(u, v, widths[level + 1], heights[level + 1], wrap)
            o = offsets[level + 1]
            p, q, r, e = np.uint64(o + p), np.uint64(o + q), np.uint64(o + r), np.uint64(o + e)
            for k in range(4):
                near = texels[a, k] * wa + texels[b, k] * wb + texels[c, k] * wc + texels[d, k] * wd
                far = texels[p, k] * wp + texels[q, k] * wq + texels[r, k] * wr + texels[e, k] * we
                row[i, k] = (near + (far - near) * t) * tint[k] * (s if k < 3 else one)
        else:
            for k in range(4):
                near = texels[a, k] * wa + texels[b, k] * wb + texels[c, k] * wc + texels[d, k] * wd
                row[i, k] = near * tint[k] * (s if k < 3 else one)


@nb.njit(nogil=True, cache=True, error_model="numpy", inline="always")
def _biased(iw, bias):  # type: ignore[no-untyped-def]
    """``1/(w − bias)`` from ``1/w``: moved towards the eye by so many metres, at most right up to it."""
    left = np.float32(1) - iw * bias
    return iw / left if left > np.float32(1e-6) else np.float32(1e9)


@nb.njit(nogil=True, cache=True, fastmath=_FAST, error_model="numpy")
def _row_blend(row, n, target, depth, rw, gw, code, cutoff, opacity, write, bias, bayer):  # type: ignore[no-untyped-def]
    """Lay a sampled row over the buffers."""
    one = np.float32(1)
    if code == 3 and not write:
        # The usual case, kept short.
        for i in range(n):
            a = row[i, 3]
            left = one - a
            target[i, 0] = row[i, 0] * a + target[i, 0] * left
            target[i, 1] = row[i, 1] * a + target[i, 1] * left
            target[i, 2] = row[i, 2] * a + target[i, 2] * left
            target[i, 3] = a + target[i, 3] * left
        return
    for i in range(n):
        r, g, b, a = row[i, 0], row[i, 1], row[i, 2], row[i, 3]
        if code == 3:
            left = one - a
            r, g, b, a = (r * a + target[i, 0] * left, g * a + target[i, 1] * left, b * a + target[i, 2] * left,
                          a + target[i, 3] * left)
        elif code <= 2:
            if (code == 1 and a < cutoff) or (code == 2 and a <= bayer[i & 7]):
                continue
            a = one
        elif code == 4:
            left = one - a
            r, g, b, a = (r * opacity + target[i, 0] * left, g * opacity + target[i, 1] * left,
                          b * opacity + target[i, 2] * left, a + target[i, 3] * left)
        elif code == 5:
            r, g, b, a = r * a + target[i, 0], g * a + target[i, 1], b * a + target[i, 2], target[i, 3]
        else:
            left = one - a
            r, g, b, a = (target[i, 0] * (left + r * a), target[i, 1] * (left + g * a),
                          target[i, 2] * (left + b * a), target[i, 3])
        target[i, 0], target[i, 1], target[i, 2], target[i, 3] = r, g, b, a
        if write:
            depth[i] = _biased(rw + gw * np.float32(i), bias)


@nb.njit(nogil=True, cache=True, error_model="numpy", inline="always")
def _nearer(rw, gw, i, bias, there):  # type: ignore[no-untyped-def]
    """Whether pixel ``i`` of a row passes the depth test."""
    return _biased(rw + gw * np.float32(i), bias) >= there


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _clear_at(occupied, start, across, i, W, H):  # type: ignore[no-untyped-def]
    """Whether pixel ``i`` of a row falls on a tile with nothing in it."""
    f = np.float32(i)
    w = np.float32(1) / (start[0] + across[0] * f)
    ty = int((start[2] + across[2] * f) * w * H) >> 2
    tx = int((start[1] + across[1] * f) * w * W) >> 2
    return 0 <= ty < occupied.shape[0] and 0 <= tx < occupied.shape[1] and occupied[ty, tx] == 0


@nb.njit(nogil=True, cache=True, error_model="numpy")
def draw(tris, count, texels, offsets, widths, heights, occupied, target, depth, first, last,  # type: ignore[no-untyped-def]
         code, cutoff, tr, tg, tb, opacity, test, write, bias, wrap, bayer):
    """Draw projected triangles into rows ``first`` to ``last`` of the buffers.

    Parameters
    ----------
    tris, count :
        From `project`.
    texels, offsets, widths, heights :
        A mip chain, linear light.
    occupied : uint8 array (rows, columns)
        From `occupancy`.
    target : float32 array (height, width, 4)
    depth : float32 array (height, width)
        ``1/w``; 0 is infinitely far.
    code, cutoff, tr, tg, tb, opacity, test, write, bias, wrap :
        The material; tint in linear light, bias in metres.
    bayer : float32 array (8, 8)
    """
    wide = target.shape[1]
    w0, h0 = widths[0], heights[0]
    W, H = np.float32(w0), np.float32(h0)
    row = np.empty((wide, 4), np.float32)
    ring = np.empty(8, np.float32)
    tint = np.array([tr, tg, tb, opacity], np.float32)
    skip_clear = code >= 3 and not write and not wrap
    grad = np.empty((4, 2))
    start, across, down = np.empty(4, np.float32), np.empty(4, np.float32), np.empty(4, np.float32)
    here = np.empty(4, np.float32)
    for t in range(count):
        tri = tris[t]
        top = min(tri[0, 1], tri[1, 1], tri[2, 1])
        bottom = max(tri[0, 1], tri[1, 1], tri[2, 1])
        if bottom <= first or top >= last or max(tri[0, 0], tri[1, 0], tri[2, 0]) <= 0 \
                or min(tri[0, 0], tri[1, 0], tri[2, 0]) >= wide:
            continue
        ax, ay = tri[1, 0] - tri[0, 0], tri[1, 1] - tri[0, 1]
        bx, by = tri[2, 0] - tri[0, 0], tri[2, 1] - tri[0, 1]
        inv = 1.0 / (ax * by - ay * bx)
        for k in range(4):
            da, db = tri[1, 2 + k] - tri[0, 2 + k], tri[2, 2 + k] - tri[0, 2 + k]
            grad[k, 0] = (da * by - db * ay) * inv
            grad[k, 1] = (db * ax - da * bx) * inv
            across[k], down[k] = grad[k, 0], grad[k, 1]
        # A panel square to the view has one depth: no division per pixel, one level of detail.
        z0 = 1.0 / tri[0, 2]
        close = False
        if tri[0, 2] == tri[1, 2] == tri[2, 2]:
            rho = max((grad[1, 0] * w0) ** 2 + (grad[2, 0] * h0) ** 2,
                      (grad[1, 1] * w0) ** 2 + (grad[2, 1] * h0) ** 2) * z0 * z0
            close = rho <= 1.001
        for y in range(max(first, int(math.ceil(top - 0.5))), min(last, int(math.ceil(bottom - 0.5)))):
            lo, hi = _span(tri, y + 0.5)
            if not lo < hi:
                continue
            x_from, x_to = int(math.ceil(max(lo, 0.0) - 0.5)), int(math.ceil(min(hi, float(wide)) - 0.5))
            if x_from >= x_to:
                continue
            dx, dy = x_from + 0.5 - tri[0, 0], y + 0.5 - tri[0, 1]
            for k in range(4):
                start[k] = tri[0, 2 + k] + grad[k, 0] * dx + grad[k, 1] * dy
            n, i = x_to - x_from, 0
            # Coarser levels reach beyond the tiles of level 0, so these count only for close panels.
            if skip_clear and close:
                while i < n and _clear_at(occupied, start, across, i, W, H):
                    i += 1
                while n > i and _clear_at(occupied, start, across, n - 1, W, H):
                    n -= 1
            # Only runs that pass the depth test are sampled at all.
            while i < n:
                j = n
                if test:
                    while i < n and not _nearer(start[0], across[0], i, bias, depth[y, x_from + i]):
                        i += 1
                    j = i
                    while j < n and _nearer(start[0], across[0], j, bias, depth[y, x_from + j]):
                        j += 1
                if j == i:
                    break
                for k in range(4):
                    here[k] = start[k] + across[k] * np.float32(i)
                if close:
                    zz = np.float32(z0)
                    _row_close(texels, w0, h0, here[1] * zz, here[2] * zz, across[1] * zz, across[2] * zz, j - i,
                               wrap, here[3] * zz, across[3] * zz, tint, row)
                else:
                    _row_far(texels, offsets, widths, heights, here, across, down, j - i, wrap, tint, row)
                x = x_from + i
                if code == 2:
                    for k in range(8):
                        ring[k] = bayer[y & 7, (x + k) & 7]
                _row_blend(row, j - i, target[y, x:], depth[y, x:], here[0], across[0], code, cutoff, opacity,
                           write, bias, ring)
                i = j


TILE = 4


def occupancy(alpha: NDArray[np.float32]) -> NDArray[np.uint8]:
    """Which 4×4 tiles of a texture hold or touch alpha above zero; clear ones can be passed over."""
    import cv2

    seen = cv2.dilate((alpha > 0).astype(np.uint8), np.ones((3, 3), np.uint8))
    h, w = seen.shape
    padded = np.pad(seen, ((0, -h % TILE), (0, -w % TILE)))
    tiles = padded.reshape(padded.shape[0] // TILE, TILE, padded.shape[1] // TILE, TILE).max(axis=(1, 3))
    return np.ascontiguousarray(tiles)

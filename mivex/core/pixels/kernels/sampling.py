"""Kernels of `mivex.core.pixels.sampling`."""

import math

import numba as nb
import numpy as np


@nb.njit(nogil=True, cache=True, error_model="numpy")
def bilinear(texels, start, w, h, u, v, wrap):
    """Read one level at ``u, v`` in [0, 1]; returns four float32. For kernels."""
    x = u * np.float32(w) - np.float32(0.5)
    y = v * np.float32(h) - np.float32(0.5)
    fx, fy = np.float32(math.floor(x)), np.float32(math.floor(y))
    x0, y0 = int(fx), int(fy)
    fx, fy = x - fx, y - fy
    x1, y1 = x0 + 1, y0 + 1
    if wrap:
        x0 %= w
        x1 %= w
        y0 %= h
        y1 %= h
    else:
        x0 = min(max(x0, 0), w - 1)
        x1 = min(max(x1, 0), w - 1)
        y0 = min(max(y0, 0), h - 1)
        y1 = min(max(y1, 0), h - 1)
    one = np.float32(1)
    w00, w01 = (one - fx) * (one - fy), fx * (one - fy)
    w10, w11 = (one - fx) * fy, fx * fy
    i00, i01 = np.uint64(start + y0 * w + x0), np.uint64(start + y0 * w + x1)
    i10, i11 = np.uint64(start + y1 * w + x0), np.uint64(start + y1 * w + x1)
    return (texels[i00, 0] * w00 + texels[i01, 0] * w01 + texels[i10, 0] * w10 + texels[i11, 0] * w11,
            texels[i00, 1] * w00 + texels[i01, 1] * w01 + texels[i10, 1] * w10 + texels[i11, 1] * w11,
            texels[i00, 2] * w00 + texels[i01, 2] * w01 + texels[i10, 2] * w10 + texels[i11, 2] * w11,
            texels[i00, 3] * w00 + texels[i01, 3] * w01 + texels[i10, 3] * w10 + texels[i11, 3] * w11)


@nb.njit(nogil=True, cache=True, error_model="numpy")
def trilinear(texels, offsets, widths, heights, u, v, lod, wrap):
    """Blend the two levels around ``lod``; returns four float32. For kernels."""
    top = len(offsets) - 1
    if not lod > 0:
        return bilinear(texels, offsets[0], widths[0], heights[0], u, v, wrap)
    if lod >= top:
        return bilinear(texels, offsets[top], widths[top], heights[top], u, v, wrap)
    i = int(lod)
    f = np.float32(lod - i)
    r0, g0, b0, a0 = bilinear(texels, offsets[i], widths[i], heights[i], u, v, wrap)
    r1, g1, b1, a1 = bilinear(texels, offsets[i + 1], widths[i + 1], heights[i + 1], u, v, wrap)
    return r0 + (r1 - r0) * f, g0 + (g1 - g0) * f, b0 + (b1 - b0) * f, a0 + (a1 - a0) * f


@nb.njit(nogil=True, cache=True)
def sample_many(texels, offsets, widths, heights, us, vs, lods, wrap, out):
    for i in range(us.size):
        r, g, b, a = trilinear(texels, offsets, widths, heights, us[i], vs[i], lods[i], wrap)
        out[i, 0], out[i, 1], out[i, 2], out[i, 3] = r, g, b, a

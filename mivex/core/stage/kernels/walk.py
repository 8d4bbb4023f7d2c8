"""Spans: which pixels of a row a polygon covers, and which of them are worth looking at.

References
----------
Pineda (1988), *A Parallel Algorithm for Polygon Rasterization* (fill rule: a pixel belongs to the polygon that its
centre lies in, left and top edges included, so that neighbours share no pixel and leave no gap).
"""

import math

import numpy as np

from mivex.core.base.compile import inlined, kernel
from mivex.core.pixels.kernels.lanes import load1
from mivex.core.pixels.kernels.sampling import high_of, wide_of


@kernel
def span(poly, y, width):
    """First pixel of a polygon in row ``y`` and the one after its last; the same however the picture is cut up."""
    yc = y + 0.5
    lo, hi = math.inf, -math.inf
    n = poly.corners
    for k in range(n):
        j = k + 1 if k + 1 < n else 0
        x0, y0, y1 = poly.x[k], poly.y[k], poly.y[j]
        if y0 > y1 or (y0 == y1 and x0 > poly.x[j]):
            x0, y0, y1 = poly.x[j], poly.y[j], poly.y[k]
        if y0 <= yc < y1:
            x = x0 + (yc - y0) * poly.slope[k]
            lo, hi = min(lo, x), max(hi, x)
    if not lo < hi:
        return 0, 0
    return int(math.ceil(max(lo, 0.0) - 0.5)), int(math.ceil(min(hi, float(width)) - 0.5))


@inlined
def _beyond(start, step, first, last):
    """Narrow ``first`` to ``last`` to where ``start + step · i`` is not below zero."""
    if step > 1e-12:
        first = max(first, int(min(max(math.ceil(-start / step - 1e-3), 0.0), 1e6)))
    elif step < -1e-12:
        last = min(last, int(min(max(math.floor(-start / step + 1e-3), -1.0), 1e6)) + 1)
    elif start < 0:
        last = first
    return first, last


@kernel
def trimmed(poly, draw, chain, value, first, last):
    """Narrow a row of a flat polygon to where its texture is not clear: eight limits round what is not.

    ``value``: 1/w, u/w and v/w at the row's first pixel.
    """
    z = 1.0 / value[0]
    level = poly.level + (1 if poly.share > 0 else 0)
    # What a coarser level holds reaches further: half a texel of its own, and one more by the bilinear read.
    far = 1.5 if level else 1.0
    eu, ev = far / wide_of(chain, level), far / high_of(chain, level)
    u, v, du, dv = value[1] * z, value[2] * z, poly.across[1] * z, poly.across[2] * z
    lim = draw.trim
    first, last = _beyond(u - lim[0] + eu, du, first, last)
    first, last = _beyond(lim[1] - u + eu, -du, first, last)
    first, last = _beyond(v - lim[2] + ev, dv, first, last)
    first, last = _beyond(lim[3] - v + ev, -dv, first, last)
    first, last = _beyond(u + v - lim[4] + eu + ev, du + dv, first, last)
    first, last = _beyond(lim[5] - u - v + eu + ev, -du - dv, first, last)
    first, last = _beyond(u - v - lim[6] + eu + ev, du - dv, first, last)
    return _beyond(lim[7] - u + v + eu + ev, dv - du, first, last)


@inlined
def biased(iw, bias):
    """``1/(w − bias)`` from ``1/w``: moved towards the eye by so many metres, at most right up to it."""
    left = np.float32(1) - iw * bias
    return iw / left if left > np.float32(1e-6) else np.float32(1e9)


@inlined
def passes_depth(iw, there):
    """The depth test, of 1/w with its bias against 1/w of what is there: equal passes, so that what is drawn later wins."""
    return iw >= there


@inlined
def nearer(iw, bias, depth):
    """Whether a fragment passes the depth test; ``depth`` is the address of what is there."""
    return passes_depth(biased(iw, bias) if bias > 0 else iw, load1(depth))


@inlined
def inside(start, step, last, lo, hi):
    """Narrow ``lo`` to ``hi`` to where ``start + step · i`` stays well between 0 and ``last``."""
    e = np.float32(1e-3)
    low, high = e, np.float32(last) - e
    if abs(step) < np.float32(1e-9):
        return (lo, hi) if low <= start <= high else (lo, lo)
    p, q = (low - start) / step, (high - start) / step
    p, q = min(p, q), max(p, q)
    big = np.float32(1 << 20)
    return (
        max(lo, int(math.ceil(min(max(p, np.float32(-1)), big)))),
        min(hi, int(math.floor(min(max(q, np.float32(-1)), big)))),
    )

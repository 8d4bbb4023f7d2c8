"""Kernels of `mivex.core.picture.lettering`."""

import math

from mivex.core.base.compile import kernel


@kernel
def accumulate(edges, acc):
    """Add each edge (x0, y0, x1, y1) to the row-wise derivative of coverage."""
    h, w = acc.shape[0], acc.shape[1] - 2
    for k in range(edges.shape[0]):
        x0, y0, x1, y1 = edges[k, 0], edges[k, 1], edges[k, 2], edges[k, 3]
        if y0 == y1:
            continue
        way = 1.0
        if y0 > y1:
            x0, y0, x1, y1, way = x1, y1, x0, y0, -1.0
        slope = (x1 - x0) / (y1 - y0)
        for y in range(max(0, int(math.floor(y0))), min(h, int(math.ceil(y1)))):
            ya, yb = max(float(y), y0), min(y + 1.0, y1)
            d = (yb - ya) * way
            xa, xb = x0 + (ya - y0) * slope, x0 + (yb - y0) * slope
            lo, hi = min(max(min(xa, xb), 0.0), float(w)), min(max(xa, xb, 0.0), float(w))
            i, j = int(lo), int(math.ceil(hi))
            if j <= i + 1:
                part = (lo + hi) * 0.5 - i
                acc[y, i] += d * (1 - part)
                acc[y, i + 1] += d * part
                continue
            # Across several texels: the area left of the edge grows as a trapezoid.
            s = 1.0 / (hi - lo)
            before = 0.0
            for x in range(i, j):
                left, right = max(lo, float(x)), min(hi, x + 1.0)
                # Share of the edge passed by the texel's right side, averaged over the texel.
                upto = (right - lo) * s
                mean = ((left - lo) * s + upto) * 0.5 * (right - left) + upto * (x + 1.0 - right)
                acc[y, x] += d * (mean - before)
                before = mean
            acc[y, j] += d * (1.0 - before)

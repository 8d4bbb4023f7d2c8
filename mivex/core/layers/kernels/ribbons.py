"""Kernels of `mivex.core.layers.ribbons`."""

import math

import numpy as np

from mivex.core.base.compile import kernel


@kernel
def beside_rows(line, reach, top, left, best, along, off, past, first, last):
    """For each texel of a box the nearest place of a line: square distance, way along, way off, way past an end.

    ``line`` (n, 3): x, y in texels, way. ``best`` begins as the square of the reach; texels farther off stay as they were.
    ``off`` is above zero to the right of the line's direction as seen (y goes down). Only the first and last piece go on
    beyond their ends: there ``off`` counts to the side alone, and ``past`` says how far ahead the texel lies.
    """
    columns = best.shape[1]
    n = line.shape[0]
    for k in range(n - 1):
        ax, ay, bx, by = line[k, 0], line[k, 1], line[k + 1, 0], line[k + 1, 1]
        ex, ey = bx - ax, by - ay
        long2 = ex * ex + ey * ey
        if long2 <= 0.0:
            continue
        long = math.sqrt(long2)
        y0 = max(int(math.floor(min(ay, by) - reach)) - top, first)
        y1 = min(int(math.ceil(max(ay, by) + reach)) + 1 - top, last)
        x0 = max(int(math.floor(min(ax, bx) - reach)) - left, 0)
        x1 = min(int(math.ceil(max(ax, bx) + reach)) + 1 - left, columns)
        for y in range(y0, y1):
            py = y + top + 0.5 - ay
            for x in range(x0, x1):
                px = x + left + 0.5 - ax
                raw = (px * ex + py * ey) / long2
                t = min(max(raw, 0.0), 1.0)
                dx, dy = px - ex * t, py - ey * t
                d2 = dx * dx + dy * dy
                if d2 >= best[y, x]:
                    continue
                best[y, x] = d2
                along[y, x] = line[k, 2] + (line[k + 1, 2] - line[k, 2]) * t
                cross = (ex * py - ey * px) / long
                before, behind = k == 0 and raw < 0.0, k == n - 2 and raw > 1.0
                if before or behind:
                    off[y, x] = cross
                    past[y, x] = (-raw if before else raw - 1.0) * long
                else:
                    off[y, x] = math.copysign(math.sqrt(d2), cross)
                    past[y, x] = 0.0


@kernel
def read_rows(tile, along, off, room, share, flow, turned, tiles, out, first, last):
    """Coverage by a tile laid along a line, linear between texels: round along the line, held at its sides.

    ``along``: how many tiles along; ``room``: half the width there; ``share``: of the texel that the ribbon has at all.
    """
    th, tw = tile.shape
    for y in range(first, last):
        for x in range(out.shape[1]):
            r = room[y, x]
            edge = min(max(r - abs(off[y, x]) + 0.5, 0.0), 1.0) * share[y, x] * flow[y, x]
            if edge <= 0.0:
                continue
            v = min(max(off[y, x] / max(r, 1e-6) / 2 + 0.5, 0.0), 1.0)
            v = 1.0 - v if turned else v
            u = along[y, x] * tiles
            px, py = (u - math.floor(u)) * tw - 0.5, min(max(v * th - 0.5, 0.0), th - 1.0)
            ix, iy = int(math.floor(px)), int(py)
            fx, fy = px - ix, py - iy
            jy = min(iy + 1, th - 1)
            a, b = ix % tw, (ix + 1) % tw
            upper = tile[iy, a] * (1 - fx) + tile[iy, b] * fx
            lower = tile[jy, a] * (1 - fx) + tile[jy, b] * fx
            out[y, x] = np.float32(min(max((upper * (1 - fy) + lower * fy) * edge, 0.0), 1.0))

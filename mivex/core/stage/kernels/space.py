"""Kernels of `mivex.core.stage.space_patterns`."""

import math

import numpy as np

from mivex.core.base.compile import inlined, kernel
from mivex.core.stage.kernels.surface import weights_at


@inlined
def _read(tile, u, v):
    """A tile at shares of it, linear between texels, repeated."""
    th, tw = tile.shape
    x, y = u * tw - 0.5, v * th - 0.5
    ix, iy = math.floor(x), math.floor(y)
    fx, fy = x - ix, y - iy
    x0, y0 = int(ix) % tw, int(iy) % th
    x1, y1 = (x0 + 1) % tw, (y0 + 1) % th
    upper = tile[y0, x0] * (1 - fx) + tile[y0, x1] * fx
    lower = tile[y1, x0] * (1 - fx) + tile[y1, x1] * fx
    return upper * (1 - fy) + lower * fy


@kernel
def space_rows(owner, uv, corners, normals, tile, turn, shift, sharpness, out, first, last):
    """Fill rows of a picture with a tile laid by place; ``corners`` (about the middle), ``normals`` (m, 3, 3) of faces."""
    for y in range(first, last):
        for x in range(out.shape[1]):
            f = owner[y, x]
            if f < 0:
                continue
            s, t, _ = weights_at(uv, f, x + 0.5, y + 0.5)
            r = 1.0 - s - t
            px = r * corners[f, 0, 0] + s * corners[f, 1, 0] + t * corners[f, 2, 0]
            py = r * corners[f, 0, 1] + s * corners[f, 1, 1] + t * corners[f, 2, 1]
            pz = r * corners[f, 0, 2] + s * corners[f, 1, 2] + t * corners[f, 2, 2]
            total, value = 0.0, 0.0
            for k in range(3):
                n = abs(r * normals[f, 0, k] + s * normals[f, 1, k] + t * normals[f, 2, k])
                w = n**sharpness
                if w <= 1e-9:
                    continue
                # From the right: z and down; from above: x and z; from the front: x and down.
                a = (-pz if k == 0 else px) - shift[0]
                b = (pz if k == 1 else -py) - shift[1]
                u = turn[0, 0] * a + turn[0, 1] * b + 0.5
                v = turn[1, 0] * a + turn[1, 1] * b + 0.5
                value += w * _read(tile, u, v)
                total += w
            out[y, x] = np.float32(value / total) if total > 0 else np.float32(0)

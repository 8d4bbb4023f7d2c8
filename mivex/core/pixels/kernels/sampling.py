"""Kernels of `mivex.core.pixels.sampling`: reading texels as graphics hardware does."""

import numpy as np

from mivex.core.base.compile import inlined, kernel
from mivex.core.pixels.kernels.lanes import (
    blue4,
    floor1,
    green4,
    last4,
    lerp4,
    load4,
    load8,
    red4,
    splat4,
)

_FAR = np.float32(1 << 22)


@inlined
def mix4(row, next_row, left, right, fx, fy):
    """Bilinear mix of four texels: addresses of two rows, offsets in bytes within them, and the two shares."""
    sx = splat4(fx)
    top = lerp4(load4(row + left), load4(row + right), sx)
    low = lerp4(load4(next_row + left), load4(next_row + right), sx)
    return lerp4(top, low, splat4(fy))


@inlined
def bilinear4(level, w, h, u, v, wrap):
    """Read one level, whose texels start at an address, at ``u, v``."""
    half = np.float32(0.5)
    x = min(max(u * np.float32(w) - half, -_FAR), _FAR)
    y = min(max(v * np.float32(h) - half, -_FAR), _FAR)
    x0, y0 = floor1(x), floor1(y)
    fx, fy = x - np.float32(x0), y - np.float32(y0)
    x1, y1 = x0 + 1, y0 + 1
    if wrap:
        if (w & (w - 1)) | (h & (h - 1)):
            x0, x1, y0, y1 = x0 % w, x1 % w, y0 % h, y1 % h
        else:  # powers of two: a mask in place of a division
            x0, x1, y0, y1 = x0 & (w - 1), x1 & (w - 1), y0 & (h - 1), y1 & (h - 1)
    else:
        x0, x1 = min(max(x0, 0), w - 1), min(max(x1, 0), w - 1)
        y0, y1 = min(max(y0, 0), h - 1), min(max(y1, 0), h - 1)
    return mix4(
        level + np.uint64(y0 * w * 16), level + np.uint64(y1 * w * 16), np.uint64(x0 * 16), np.uint64(x1 * 16), fx, fy
    )


@inlined
def level_of(rho2, top):
    """Level and fraction of ``log2 √rho2``, to within 0.0005; hardware keeps no more than 8 bits of it."""
    level = 0
    while rho2 >= np.float32(4) and level < top:
        rho2 *= np.float32(0.25)
        level += 1
    if level >= top:
        return top, np.float32(0)
    if rho2 <= np.float32(1):
        return level, np.float32(0)
    # Chebyshev fit of ½ log2 on [1, 4].
    f = np.float32(-1.1470766) + rho2 * (
        np.float32(1.7582853)
        + rho2
        * (
            np.float32(-0.8157414)
            + rho2 * (np.float32(0.24080344) + rho2 * (np.float32(-0.03830964) + rho2 * np.float32(0.00250185)))
        )
    )
    return level, min(max(f, np.float32(0)), np.float32(1))


# A chain is known by the address of its record, `mivex.core.pixels.mips.CHAIN`: texels, levels, then 15 widths, 15
# heights, 15 first texels, each eight bytes.


@inlined
def levels_of(chain):
    """How many levels a chain has."""
    return load8(chain + np.uint64(8))


@inlined
def wide_of(chain, level):
    """Width of a level."""
    return load8(chain + np.uint64(16 + 8 * level))


@inlined
def high_of(chain, level):
    """Height of a level."""
    return load8(chain + np.uint64(136 + 8 * level))


@inlined
def texels_of(chain, level):
    """Address of a level's first texel."""
    return np.uint64(load8(chain)) + np.uint64(load8(chain + np.uint64(256 + 8 * level)) * 16)


@inlined
def in_level4(chain, level, u, v, wrap):
    """Read one level of a chain."""
    return bilinear4(texels_of(chain, level), wide_of(chain, level), high_of(chain, level), u, v, wrap)


@inlined
def trilinear4(chain, u, v, level, share, wrap):
    """Mix two neighbouring levels of a chain."""
    near = in_level4(chain, level, u, v, wrap)
    if share > np.float32(0.002):
        near = lerp4(near, in_level4(chain, level + 1, u, v, wrap), splat4(share))
    return near


@kernel
def sample_many(chain, us, vs, lods, wrap, out):
    """Sample a chain at many places; levels of detail as given."""
    top = levels_of(chain) - 1
    for i in range(us.size):
        lod = lods[i]
        level, share = 0, np.float32(0)
        if lod >= top:
            level = top
        elif lod > 0:
            level = int(lod)
            share = np.float32(lod - level)
        c = in_level4(chain, level, us[i], vs[i], wrap)
        if share > 0:
            c = lerp4(c, in_level4(chain, level + 1, us[i], vs[i], wrap), splat4(share))
        out[i, 0], out[i, 1], out[i, 2], out[i, 3] = red4(c), green4(c), blue4(c), last4(c)

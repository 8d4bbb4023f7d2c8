"""Kernels of `mivex.core.stage.transmission`: reading the picture behind a thing, blurred by a Gaussian."""

import math

import numpy as np

from mivex.core.base.compile import inlined, kernel
from mivex.core.pixels.kernels.lanes import fma4, lerp4, load4, mul4, splat4
from mivex.core.pixels.kernels.sampling import high_of, in_level4, levels_of, texels_of, wide_of

_LEAST = np.float32(0.25)
"""Variance, in texels of a level, below which a Gaussian over it would show the texels themselves."""


@kernel
def _gauss4(chain, level, x, y, variance):
    # A Gaussian over the texels of one level. Texel i of a level lies at i·2^level: the pyramid keeps the even ones.
    w, h = wide_of(chain, level), high_of(chain, level)
    scale = np.float32(1) / np.float32(1 << level)
    x, y = x * scale, y * scale
    i, j = int(math.floor(x + np.float32(0.5))), int(math.floor(y + np.float32(0.5)))
    fx, fy = x - np.float32(i), y - np.float32(j)
    far = int(math.ceil(np.float32(2.4) * math.sqrt(variance)))
    slope = np.float32(-0.5) / variance
    texels = texels_of(chain, level)
    out, total = splat4(np.float32(0)), np.float32(0)
    for b in range(-far, far + 1):
        row = min(max(j + b, 0), h - 1) * w
        along, sum_along = splat4(np.float32(0)), np.float32(0)
        for a in range(-far, far + 1):
            d = np.float32(a) - fx
            weight = math.exp(slope * d * d)
            at = row + min(max(i + a, 0), w - 1)
            along = fma4(load4(texels + np.uint64(at * 16)), splat4(weight), along)
            sum_along += weight
        d = np.float32(b) - fy
        weight = math.exp(slope * d * d)
        out = fma4(along, splat4(weight), out)
        total += weight * sum_along
    return mul4(out, splat4(np.float32(1) / total))


@inlined
def _before(level):
    # Variance that the binomials up to a level have added, in pixels: (4^level − 1)/3.
    return (np.float32(1 << (2 * level)) - np.float32(1)) * np.float32(1 / 3)


@kernel
def blurred4(chain, u, v, blur):
    """The picture blurred by a Gaussian whose standard deviation is half of ``blur``, in pixels.

    Parameters
    ----------
    chain : address of a `CHAIN`
    u, v : float32
        Place, 0 to 1 from the top left.
    blur : float32
    """
    top = levels_of(chain) - 1
    wanted = np.float32(0.25) * blur * blur
    x = u * np.float32(wide_of(chain, 0)) - np.float32(0.5)
    y = v * np.float32(high_of(chain, 0)) - np.float32(0.5)
    # Far beyond the border only the border is seen.
    x = min(max(x, np.float32(-1e6)), np.float32(1e6))
    y = min(max(y, np.float32(-1e6)), np.float32(1e6))
    if wanted < _LEAST:
        return lerp4(in_level4(chain, 0, u, v, False), _gauss4(chain, 0, x, y, _LEAST), splat4(wanted / _LEAST))
    level = 0
    # What is left to do at a level is between a quarter and two texels: few taps, and none of them seen.
    while level < top and wanted - _before(level + 1) >= _LEAST * np.float32(1 << (2 * (level + 1))):
        level += 1
    left = (wanted - _before(level)) / np.float32(1 << (2 * level))
    return _gauss4(chain, level, x, y, min(left, np.float32(4)))

"""Texture sampling as graphics hardware does it: bilinear, trilinear, wrap or clamp.

Straight texels are filtered straight. That is where fringes come from, and
showing them is the point.

References
----------
OpenGL 4.6 core specification, section 8.14, *Texture Minification*.
"""

import numpy as np

from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.pixels.mips import MipChain

_kernels = Lazy("mivex.core.pixels.kernels.sampling")


def sample(chain: MipChain, u: Floats, v: Floats, lod: Floats, *, wrap: bool = False) -> Floats:
    """Sample a mip chain at many places.

    Parameters
    ----------
    chain : MipChain
    u, v : float32 arrays of one shape
        Texture coordinates; 0, 0 is the top left corner of the picture.
    lod : float32 array of the same shape
        Level of detail; 0 or below reads level 0.
    wrap : bool
        Repeat beyond the border instead of holding the last texel.

    Returns
    -------
    float32 array (*shape, 4)
    """
    u, v, lod = np.broadcast_arrays(*(np.asarray(k, np.float32) for k in (u, v, lod)))
    out = np.empty((u.size, 4), np.float32)
    at = np.uint64(chain.record.ctypes.data)
    _kernels.sample_many(
        at,
        np.ascontiguousarray(u).reshape(-1),
        np.ascontiguousarray(v).reshape(-1),
        np.ascontiguousarray(lod).reshape(-1),
        wrap,
        out,
    )
    return out.reshape(*u.shape, 4)

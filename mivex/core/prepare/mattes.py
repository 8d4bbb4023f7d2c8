"""Removing a known backdrop colour from a picture: the arithmetic both matte steps share.

A soft texel cut from a flat backdrop holds ``C = α·F + (1 − α)·B``.

References
----------
Porter and Duff (1984), *Compositing Digital Images*; Smith and Blinn (1996),
*Blue Screen Matting*, for the cases in which alpha can be recovered.
"""

import numpy as np

from mivex.core.base.types import Floats
from mivex.core.picture.traits import ImageMetadata
from mivex.core.prepare.light import matte_out


def alpha_against(C: Floats, B: Floats) -> Floats:
    """The smallest alpha that can explain each texel over a known matte.

    ``α = max over channels of (C − B)/(1 − B) where C > B, (B − C)/B where C < B``

    Parameters
    ----------
    C : float32 array (height, width, 3)
        Picture, in the space in which it was composited.
    B : float32 array (3,)
        Matte, in the same space.

    Returns
    -------
    float32 array (height, width), in [0, 1].
    """
    d = C - B
    up = d / np.maximum(1 - B, np.float32(1e-6))
    down = -d / np.maximum(B, np.float32(1e-6))
    alpha: Floats = np.where(d > 0, up, down).max(axis=-1).astype(np.float32)
    return np.clip(alpha, 0, 1)


def colour_under(C: Floats, B: Floats, alpha: Floats, share: float = 1.0) -> Floats:
    """The colour that was laid over the matte, ``F = B + (C − B)/α``.

    Parameters
    ----------
    C : float32 array (height, width, 3)
    B : float32 array (3,)
    alpha : float32 array (height, width)
    share : float
        How much of the matte the soft texels still hold, 0 to 1: the texel is
        taken as ``C = (1 − s)·F + s·B`` with ``s = share · (1 − α)``.

    Returns
    -------
    float32 array (height, width, 3), clipped to [0, 1] where it changed; texels
    with zero alpha keep their colour.
    """
    values = np.concatenate([C, alpha[..., None]], axis=2).astype(np.float32)
    return matte_out(values, ImageMetadata(data=True), B, alpha, share, linear=False)[..., :3]

"""Soft texels of a picture and the solid ones they belong to: what every look at its outline begins with."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.kept import memoized_on
from mivex.core.base.types import Floats
from mivex.core.picture.texture import Texture
from mivex.core.pixels.nearest import nearest

SOFT, FIRM = 0.02, 0.96
"""Alphas between which a texel is soft: below, colour is too coarse to tell; above, a backdrop is lost in rounding."""


@dataclass(frozen=True, eq=False)
class Outline:
    """Where a picture is solid and where it is soft.

    Attributes
    ----------
    alpha : float32 array (h, w)
        In one piece: a channel of a picture is read four times as slowly.
    solid : bool array (h, w)
    soft : int64 array (n,)
        Flat places of the soft texels.
    index, distance : arrays (h, w)
        The nearest solid texel of each place, flat, and how far it is.
    """

    alpha: Floats
    solid: NDArray[np.bool_]
    soft: NDArray[np.int64]
    index: NDArray[np.int32]
    distance: Floats


def outline_of(texture: Texture, least: int) -> Outline | None:
    """The outline, measured once for a texture; None where nothing is solid or fewer texels than ``least`` are soft."""

    def make() -> Outline | None:
        alpha = np.ascontiguousarray(texture.alpha)
        solid = alpha >= np.float32(min(0.98, 0.9 * float(alpha.max())))
        soft = np.flatnonzero((alpha > SOFT) & (alpha < FIRM) & ~solid)
        if soft.size < least or not solid.any():
            return None
        return Outline(alpha, solid, soft, *nearest(solid))

    return memoized_on(texture, ("outline", least), make)

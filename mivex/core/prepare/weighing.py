"""Premultiplying and dividing again, in one pass each: what every step that filters colour begins and ends with."""

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.picture.traits import ImageMetadata

_kernels = Lazy("mivex.core.prepare.kernels.weighing")


def premultiply(values: Floats, traits: ImageMetadata) -> Floats:
    """Colour times alpha in linear light, and alpha; float32 (height, width, 4)."""
    out: Floats = np.empty(values.shape, np.float32)
    run_bands(out.shape[0], lambda a, b: _kernels.weigh_rows(values, not traits.data, out, a, b))
    return out


def unpremultiply(sums: Floats, plain: Floats, data: bool, least: float = 1e-5) -> Floats:
    """Stored values again: colour divided by alpha; where alpha is at most ``least``, that of ``plain``.

    Parameters
    ----------
    sums : float32 array (height, width, 4)
        As `premultiply` gives, filtered.
    plain : float32 array (height, width, 3 or 4)
        Stored values for clear texels.
    data : bool
        Not a colour picture.
    """
    out: Floats = np.empty((*sums.shape[:2], 4), np.float32)
    run_bands(out.shape[0], lambda a, b: _kernels.unweigh_rows(sums, plain, not data, np.float32(least), out, a, b))
    return out


def premultiplied(values: Floats, traits: ImageMetadata) -> Floats:
    """Stored values of ``C·α``, multiplied in linear light; float32 (height, width, 4)."""
    out: Floats = np.empty(values.shape, np.float32)
    run_bands(out.shape[0], lambda a, b: _kernels.premultiply_rows(values, traits.data, out, a, b))
    return out

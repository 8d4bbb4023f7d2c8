"""For every texel the nearest texel of a set, exactly.

Down and up each column first, then along each row the lower envelope of the
parabolas that the columns give. Both passes run in bands on every core.
OpenCV's labelled transform is approximate (off by up to 2 % of the distance)
and SciPy's exact one takes five times as long; see ``docs/performance.md``.

References
----------
Felzenszwalb and Huttenlocher (2012), *Distance Transforms of Sampled Functions*.
"""

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats, Mask

_kernels = Lazy("mivex.core.pixels.kernels.nearest")


def nearest(mask: Mask) -> tuple[NDArray[np.int32], Floats]:
    """For every texel the place of the nearest one in ``mask``, and its distance.

    Parameters
    ----------
    mask : bool array (height, width), true somewhere

    Returns
    -------
    index : int32 array (height, width), into the flattened picture
    distance : float32 array (height, width), texels
    """
    h, w = mask.shape
    near, index = np.empty((h, w), np.int32), np.empty((h, w), np.int32)
    distance: Floats = np.empty((h, w), np.float32)
    run_bands(w, lambda a, b: _kernels.columns_kernel(mask, near, a, b), per_worker=1)
    run_bands(h, lambda a, b: _kernels.rows_kernel(near, index, distance, a, b))
    return index, distance

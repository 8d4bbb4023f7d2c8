"""What lies behind a thing that refracts: the picture drawn so far, and smaller and softer ones for frost.

A frosted thing sees the picture blurred by a Gaussian. Each level of the pyramid is the one before, smoothed with the
binomial 1 4 6 4 1 and halved (Burt, Adelson 1983, *The Laplacian Pyramid as a Compact Image Code*); a small Gaussian over
one of them adds the variance that is left: see `mivex.core.stage.kernels.transmission`.
"""

import math
from collections.abc import Iterable

import cv2
import numpy as np

from mivex.core.base.types import Floats
from mivex.core.pixels.mips import MipChain
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall, refracts

FROST = 0.1
"""Width of the blur of what is wholly frosted and rough, as a share of the picture's height: four standard deviations
lie in two of it."""
LEVELS = 8
"""Of the pyramid: the coarsest that the widest blur of a picture of 8192 rows reads."""


def frosted(draws: Iterable[DrawCall]) -> bool:
    """Whether something blurs what lies behind it."""
    return any(refracts(d.material) and d.material.glass.frost > 0 for d in draws)


def behind_chain(colour: Floats, soft: bool, box: tuple[int, int, int, int] | None = None) -> MipChain:
    """A copy of the picture, and where ``soft`` is set its pyramid.

    Parameters
    ----------
    colour : float32 array (height, width, 4)
    soft : bool
        Something frosted reads it.
    box : (top, low, left, right), optional
        Nothing beyond is read; a sharp copy holds only this.
    """
    # Where nothing is frosted one level is enough, and only the box of it is read.
    if box is not None and not soft:
        copy = np.empty_like(colour)
        copy[box[0] : box[1], box[2] : box[3]] = colour[box[0] : box[1], box[2] : box[3]]
        h, w = colour.shape[:2]
        return MipChain(copy.reshape(-1, 4), *(np.array([n], np.int64) for n in (0, w, h)))
    rows = [np.ascontiguousarray(colour)]
    # No coarser than is read: a tenth of the height is blurred over at most.
    coarsest = min(LEVELS, max(1, math.ceil(math.log2(max(FROST * colour.shape[0], 1))) + 1))
    while soft and len(rows) <= coarsest and min(rows[-1].shape[:2]) > 1:
        # Reflected at the border: the picture's edge must not darken what is frosted beside it.
        rows.append(cv2.pyrDown(rows[-1], borderType=cv2.BORDER_REFLECT_101))
    sizes = np.array([r.shape[:2] for r in rows], np.int64)
    counts = sizes.prod(axis=1)
    return MipChain(
        np.concatenate([r.reshape(-1, 4) for r in rows]),
        np.concatenate([[0], np.cumsum(counts)[:-1]]).astype(np.int64),
        sizes[:, 1].copy(),
        sizes[:, 0].copy(),
    )


def reach(draw: DrawCall, view: View) -> float:
    """Pixels beyond itself that a thing which refracts may read; infinity where it comes close to the eye.

    A ray leaves at most the thickness beside where it would have gone straight on; of the blur, what the pyramid reads.
    """
    g = draw.material.glass
    points = draw.mesh.position if draw.transform is None else draw.mesh.transformed(draw.transform).position
    if not len(points):
        return 0.0
    seen = (points - view.eye) @ view.axes.T
    nearest = float(seen[:, 2].min()) - g.thickness
    if nearest < 0.05:
        # Seen at a slant a bent ray goes further across the picture than straight ahead.
        return math.inf
    slant = 1 + float((seen[:, :2] ** 2).sum(axis=1).max()) / nearest**2
    blur = FROST * g.frost * view.height
    # Five standard deviations of blur; two pixels for the filters.
    return 2 + view.focal * g.thickness / nearest * slant + 5 * blur

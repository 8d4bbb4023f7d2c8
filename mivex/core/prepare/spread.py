"""Step ``spread``: replace the hidden colour round the edges, so that filtering finds nothing foreign.

References
----------
Felzenszwalb and Huttenlocher (2012), *Distance Transforms of Sampled Functions*
(what a distance transform is); Gortler et al. (1996), *The Lumigraph*, section
3.4, pull-push filling.
"""

from typing import Literal

import cv2
import numpy as np
from numpy.typing import NDArray

from mivex.core.image.mips import halve
from mivex.core.prepare.base import Context, Floats, Step, StepParams, Surface, setting
from mivex.core.types import Mask


class Spread(StepParams):
    """Settings of ``spread``."""

    step: Literal["spread"] = "spread"
    method: Literal["nearest", "smooth", "mean"] = setting(
        "nearest", "Fill with", "What lies under clear texels afterwards; alpha stays as it is.",
        choices={"nearest": "Nearest edge", "smooth": "Smooth blend",
                 "mean": "Mean colour"})
    solid_from: float = setting(0.0, "Trust from alpha", "Texels above this keep their own colour; raise it "
                                "where faint texels hold a wrong one. At 0 any alpha above 0 counts.",
                                ge=0, le=1)
    reach: float = setting(0.0, "Reach", "How far the colour is spread from the edge; 0 fills everything.",
                           unit="px", ge=0, le=16384, drag=(0, 128))


def trusted(alpha: Floats, solid_from: float) -> Mask:
    """Texels whose own colour counts: alpha above 0, or at least ``solid_from`` where that is above 0."""
    return alpha >= np.float32(solid_from) if solid_from > 0 else alpha > 0


def nearest_index(mask: Mask) -> tuple[NDArray[np.intp], NDArray[np.float64]]:
    """For every texel the index of a nearest texel in ``mask``, and its distance.

    Parameters
    ----------
    mask : bool array (height, width), true somewhere

    Returns
    -------
    index : int array (height, width), into the flattened picture
    distance : float64 array (height, width), in texels, exact to the texel found

    Notes
    -----
    OpenCV's labelled transform with a 5×5 neighbourhood: where two texels are
    about equally near, the one found may be farther by at most 2 %.
    """
    away = np.where(mask, np.uint8(0), np.uint8(1))
    _, labels = cv2.distanceTransformWithLabels(away, cv2.DIST_L2, cv2.DIST_MASK_5,
                                                labelType=cv2.DIST_LABEL_PIXEL)
    own = np.flatnonzero(mask)
    table = np.zeros(int(labels.max()) + 1, np.intp)
    table[labels.reshape(-1)[own]] = own
    index = table[labels]
    h, w = mask.shape
    fy, fx = np.divmod(index, w)
    distance = np.hypot(fy - np.arange(h)[:, None], fx - np.arange(w)[None, :])
    return index, distance


def pull_push(rgb: Floats, mask: Mask) -> Floats:
    """Fill texels outside ``mask`` from ever coarser averages of those inside.

    Parameters
    ----------
    rgb : float32 array (height, width, 3), in the space to average in
    mask : bool array (height, width)

    Returns
    -------
    float32 array (height, width, 3); texels inside the mask are unchanged.
    """
    weighted = np.zeros((*mask.shape, 4), np.float32)
    weighted[mask, :3] = rgb[mask]
    weighted[mask, 3] = 1
    levels = [weighted]
    while levels[-1].shape[0] > 1 or levels[-1].shape[1] > 1:
        levels.append(halve(levels[-1]))
    filled = levels[-1][..., :3] / np.maximum(levels[-1][..., 3:], np.float32(1e-20))
    for level in reversed(levels[:-1]):
        h, w = level.shape[:2]
        coarse = cv2.resize(filled, (w, h), interpolation=cv2.INTER_LINEAR).reshape(h, w, 3)
        weight = level[..., 3:]
        own = level[..., :3] / np.maximum(weight, np.float32(1e-20))
        share = np.minimum(weight, 1)
        filled = np.where(weight > 0, own * share + coarse * (1 - share), coarse)
    out: Floats = np.where(mask[..., None], rgb, filled).astype(np.float32)
    return out


def run(surface: Surface, params: Spread, context: Context) -> Surface:
    """Fill the colour of texels that are not trusted; theirs alone changes, alpha never."""
    mask = trusted(surface.alpha, params.solid_from)
    if mask.all() or not mask.any():
        return surface
    reach = params.reach * surface.scale
    fill = ~mask
    index = None
    if params.method == "nearest" or reach > 0:
        index, distance = nearest_index(mask)
        if reach > 0:
            fill &= distance <= reach
    out = surface.values.copy()
    if params.method == "nearest":
        assert index is not None
        out[fill, :3] = surface.values.reshape(-1, 4)[index[fill], :3]
    elif params.method == "smooth":
        smooth = pull_push(surface.rgb_in("linear"), mask)
        out[fill, :3] = surface.rgb_from(smooth[fill], "linear")
    else:
        weights = surface.alpha[mask].astype(np.float64)
        mean = (surface.rgb_in("linear")[mask] * weights[:, None]).sum(axis=0) / weights.sum()
        out[fill, :3] = surface.rgb_from(mean.astype(np.float32), "linear")
    return surface.with_colour(out[..., :3])


STEP = Step(Spread, run, "Spread colour", "Put edge colour under clear texels, so that no rim shows when "
            "the texture is filtered.", "edges")

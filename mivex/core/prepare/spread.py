"""Step ``spread``: replace the hidden colour round the edges, so that filtering finds nothing foreign.

References
----------
Felzenszwalb and Huttenlocher (2012), *Distance Transforms of Sampled Functions*
(what a distance transform is); Gortler et al. (1996), *The Lumigraph*, section
3.4, pull-push filling.
"""

from typing import Literal

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.settings import setting
from mivex.core.base.types import Floats, Mask
from mivex.core.pixels.mips import halve
from mivex.core.pixels.nearest import nearest
from mivex.core.prepare.base import Context, Step, StepParams, Surface

_kernels = Lazy("mivex.core.prepare.kernels.spread")


class Spread(StepParams):
    """Settings of ``spread``."""

    step: Literal["spread"] = "spread"
    method: Literal["nearest", "smooth", "mean"] = setting(
        "nearest",
        "Fill with",
        "What lies under clear texels afterwards; alpha stays as it is.",
        choices={"nearest": "Nearest edge", "smooth": "Smooth blend", "mean": "Mean colour"},
    )
    solid_from: float = setting(
        0.0,
        "Trust from alpha",
        "Texels above this keep their own colour; raise it "
        "where faint texels hold a wrong one. At 0 any alpha above 0 counts.",
        ge=0,
        le=1,
    )
    reach: float = setting(
        0.0,
        "Reach",
        "How far the colour is spread from the edge; 0 fills everything.",
        unit="px",
        ge=0,
        le=16384,
        drag=(0, 128),
    )


def trusted(alpha: Floats, solid_from: float) -> Mask:
    """Texels whose own colour counts: alpha above 0, or at least ``solid_from`` where that is above 0."""
    return alpha >= np.float32(solid_from) if solid_from > 0 else alpha > 0


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
    known = mask.astype(np.float32)[..., None]
    weighted = np.concatenate([rgb * known, known], axis=2)
    levels = [weighted]
    while levels[-1].shape[0] > 1 or levels[-1].shape[1] > 1:
        levels.append(halve(levels[-1]))
    # The last level holds the mean of all that is known; the tiny floor is for a picture of which nothing is.
    filled = levels[-1][..., :3] / np.maximum(levels[-1][..., 3:], np.float32(1e-20))
    for level in reversed(levels[:-1]):
        finer: Floats = np.empty((*level.shape[:2], 3), np.float32)
        coarse = np.ascontiguousarray(filled)
        run_bands(level.shape[0], lambda a, b, v=level, c=coarse, o=finer: _kernels.push_rows(v, c, o, a, b))  # type: ignore[misc]
        filled = finer
    return filled


def run(surface: Surface, params: Spread, context: Context) -> Surface:
    """Fill the colour of texels that are not trusted; theirs alone changes, alpha never."""
    mask = trusted(surface.alpha, params.solid_from)
    if mask.all() or not mask.any():
        return surface
    reach = params.reach * surface.scale
    fill = ~mask
    index = None
    if params.method == "nearest" or reach > 0:
        index, distance = nearest(mask)
        if reach > 0:
            fill &= distance <= reach
    if params.method == "nearest":
        out = np.empty_like(surface.values)
        run_bands(mask.shape[0], lambda a, b: _kernels.take_rows(surface.values, index, fill, out, a, b))
        return surface.but(values=out)
    linear = surface.rgb_in("linear")
    if params.method == "smooth":
        colour = surface.rgb_from(pull_push(linear, mask), "linear")
    else:
        # By alpha: what is seen most decides what the hidden colour is.
        weights = np.where(mask, surface.alpha, np.float32(0))
        # Row sums in single, their sum in double precision.
        rows = np.matmul(weights[:, None, :], linear)[:, 0]
        mean = rows.sum(axis=0, dtype=np.float64) / weights.sum(dtype=np.float64)
        colour = surface.rgb_from(mean.astype(np.float32), "linear")
    return surface.with_colour(np.where(fill[..., None], colour, surface.values[..., :3]))


STEP = Step(
    Spread,
    run,
    "Spread colour",
    "Put edge colour under clear texels, so that no rim shows when the texture is filtered.",
    "edges",
)

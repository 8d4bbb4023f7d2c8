"""Steps ``grow`` and ``feather``: move the outline, soften it; both by Euclidean distance, finer than a texel."""

from typing import Literal

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.settings import setting
from mivex.core.base.types import Floats
from mivex.core.pixels.outline import trace
from mivex.core.prepare.base import Context, Step, StepParams, Surface

_kernels = Lazy("mivex.core.prepare.kernels.grow")


class Grow(StepParams):
    """Settings of ``grow``."""

    step: Literal["grow"] = "grow"
    by: float = setting(
        2.0,
        "Amount",
        "Moves the outline out; below zero, in. The softness of the edge goes along.",
        unit="px",
        ge=-256,
        le=256,
        drag=(-32, 32),
    )


class Feather(StepParams):
    """Settings of ``feather``."""

    step: Literal["feather"] = "feather"
    width: float = setting(
        8.0, "Width", "How wide the new soft band is, measured from the outline.", unit="px", ge=0, le=512, drag=(0, 64)
    )
    side: Literal["inside", "outside", "both"] = setting(
        "inside",
        "Side",
        "Inside thins the shape, outside adds a halo round it.",
        choices={"inside": "Inside", "outside": "Outside", "both": "Both"},
    )
    profile: Literal["smooth", "straight"] = setting(
        "smooth",
        "Profile",
        "Smooth eases in and out; straight falls evenly.",
        choices={"smooth": "Smooth", "straight": "Straight"},
    )


def grown(alpha: Floats, by: float) -> Floats:
    """Alpha whose outline lies ``by`` texels farther out (in, below zero).

    Every texel takes the largest (smallest) alpha met on the way of that length
    straight across the outline: dilation and erosion by a disc, without its cost.

    Parameters
    ----------
    alpha : float32 array (height, width)
    by : float
        Texels.
    """
    if by == 0:
        return alpha
    # One texel beyond the move: the band of the old edge has to be known on both sides of the new one.
    outline = trace(alpha, abs(by) + 1, soft=True)
    if outline.reach < 1.5 and float(alpha.max()) >= 0.999:
        # A crisp edge, one texel of coverage: drawn anew where it now lies, not smeared by reading between texels.
        return np.clip(np.float32(0.5) - (outline.distance - np.float32(by)), 0, 1)
    src, out = np.ascontiguousarray(alpha, np.float32), np.empty(alpha.shape, np.float32)
    run_bands(
        alpha.shape[0],
        lambda a, b: _kernels.grow_rows(
            src, outline.distance, outline.inward, np.float32(by), np.float32(outline.reach + 1), out, a, b
        ),
        per_worker=8,
    )
    return out


def run_grow(surface: Surface, params: Grow, context: Context) -> Surface:
    """Move the outline; 0 changes nothing."""
    by = params.by * surface.scale
    return surface.with_alpha(grown(surface.alpha, by)) if by else surface


def run_feather(surface: Surface, params: Feather, context: Context) -> Surface:
    """Lay a soft band along the outline; width 0 changes nothing."""
    width = params.width * surface.scale
    if width == 0:
        # Two texels beyond the band, for the outline's own softness.
        return surface
    outline = trace(surface.alpha, width + 2)
    src = np.ascontiguousarray(surface.alpha)
    out: Floats = np.empty(src.shape, np.float32)
    side = {"inside": 0, "outside": 1, "both": 2}[params.side]
    run_bands(
        out.shape[0],
        lambda a, b: _kernels.feather_rows(
            src, outline.distance, outline.inward, np.float32(width), side, params.profile == "smooth", out, a, b
        ),
    )
    return surface.with_alpha(out)


STEP = (
    Step(Grow, run_grow, "Grow or shrink", "Moves the outline outwards or inwards by an exact distance.", "alpha"),
    Step(Feather, run_feather, "Feather", "Softens the outline over a band of an exact width.", "alpha"),
)

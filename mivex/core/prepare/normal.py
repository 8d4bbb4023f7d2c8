"""Step ``normal-from-height``: a normal map out of a height picture.

References
----------
Scharr (2000), *Optimal Operators in Digital Image Processing*: the 3×3
gradient whose direction is least biased (weights 3, 10, 3).
"""

from typing import Literal

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.settings import setting
from mivex.core.base.types import Floats
from mivex.core.prepare.base import Context, Step, StepParams, Surface
from mivex.core.prepare.blur import BORDER_WORDS, Border, blurred
from mivex.core.prepare.combine import VALUE_WORDS, Value, grey_of

cv2 = Lazy("cv2")

_kernels = Lazy("mivex.core.prepare.kernels.normal")

SLOPE = 8.0
"""At strength 1, a rise over the whole range of heights within so many texels is a slope of 45°."""


class NormalFromHeight(StepParams):
    """Settings of ``normal-from-height``."""

    step: Literal["normal-from-height"] = "normal-from-height"
    take: Value = setting("luminance", "Height is", "Which values are height; bright is high.", choices=VALUE_WORDS)
    strength: float = setting(2.0, "Strength", "Steeper slopes; below zero, hills become hollows.", ge=-10, le=10)
    blur: float = setting(
        0.0, "Blur first", "Smooths the height before its slope is taken.", unit="px", ge=0, le=64, drag=(0, 16)
    )
    border: Border = setting("clamp", "At the border", "Wrap for a texture that repeats.", choices=BORDER_WORDS)
    green: Literal["up", "down"] = setting(
        "up",
        "Green points",
        "The way the receiving program expects: the wrong one turns hills into hollows for light from above.",
        choices={"up": "Up", "down": "Down"},
    )


def run(surface: Surface, params: NormalFromHeight, context: Context) -> Surface:
    """``n = (−h_x, ∓h_y, 1)`` normalised, stored as ``(n + 1)/2``; heights and slopes of stored values."""
    wrap = params.border == "wrap"
    height = blurred(
        np.ascontiguousarray(grey_of(surface.values, params.take), np.float32), params.blur * surface.scale, wrap
    )
    edge = cv2.BORDER_WRAP if wrap else cv2.BORDER_REPLICATE
    padded = np.asarray(cv2.copyMakeBorder(height, 1, 1, 1, 1, edge), np.float32)
    out: Floats = np.empty(surface.values.shape, np.float32)
    k = np.float32(params.strength * SLOPE * surface.scale)
    # Rows run down: a rise towards the top has a negative row gradient, and green up is +y.
    way = np.float32(1 if params.green == "up" else -1)
    run_bands(out.shape[0], lambda a, b: _kernels.normal_rows(padded, surface.alpha, k, way, out, a, b))
    return surface.but(values=out, data=True)


STEP = Step(NormalFromHeight, run, "Normal from height", "Turns heights into a normal map; the result is data.", "colour")

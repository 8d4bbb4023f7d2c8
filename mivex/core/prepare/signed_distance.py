"""Step ``signed-distance``: alpha as distance from the outline, so that a small texture stays crisp close up.

References
----------
Green (2007), *Improved Alpha-Tested Magnification for Vector Textures and
Special Effects*.
"""

from typing import Literal

import numpy as np

from mivex.core.base.lazy import Lazy
from mivex.core.base.settings import setting
from mivex.core.pixels.outline import trace
from mivex.core.prepare.base import Context, Step, StepParams, Surface
from mivex.core.prepare.resample import resized
from mivex.core.prepare.weighing import premultiply, unpremultiply

cv2 = Lazy("cv2")


class SignedDistance(StepParams):
    """Settings of ``signed-distance``."""

    step: Literal["signed-distance"] = "signed-distance"
    spread: float = setting(
        8.0,
        "Spread",
        "Distance from the outline, in texels of the result, at which alpha reaches "
        "0 outside and 1 inside. Wide serves glows, narrow keeps finer steps.",
        unit="px",
        ge=0.5,
        le=256,
        drag=(1, 32),
    )
    at: float = setting(0.5, "Outline at", "Value of alpha that is the outline.", ge=0.01, le=0.99)
    reduce: Literal[1, 2, 4, 8, 16] = setting(
        1,
        "Reduce by",
        "Draws the distance into a smaller picture; the outline stays sharper than its texels.",
        choices={1: "Not at all", 2: "2", 4: "4", 8: "8", 16: "16"},
    )


def run(surface: Surface, params: SignedDistance, context: Context) -> Surface:
    """``clip(0.5 − d/(2·spread))``, ``d`` in texels of the result, negative inside; then averaged down."""
    k = params.reduce
    spread = params.spread * surface.scale * k
    d = trace(surface.alpha, spread + k + 2, params.at).distance
    alpha = np.clip(np.float32(0.5) - d / np.float32(2 * spread), 0, 1)
    out = surface.with_alpha(alpha).but(distance=params.spread)
    h, w = alpha.shape
    to = (max(1, w // k), max(1, h // k))
    if k == 1 or to == (w, h):
        return out
    # Distance is straight across the outline, so its plain average is the distance at the larger texel's middle.
    small = cv2.resize(alpha, to, interpolation=cv2.INTER_AREA)
    hidden = cv2.resize(surface.values, to, interpolation=cv2.INTER_NEAREST).reshape(to[1], to[0], 4)
    values = unpremultiply(resized(premultiply(surface.values, surface.traits), *to, "area"), hidden, surface.data)
    values[..., 3] = small
    return out.but(values=values)


STEP = Step(
    SignedDistance,
    run,
    "Signed distance",
    "Stores the distance from the outline as alpha: crisp at any magnification under Cutout.",
    "edges",
    moves=True,
)

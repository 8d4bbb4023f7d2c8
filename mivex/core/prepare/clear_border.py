"""Step ``clear-border``: bring alpha to zero along the picture's sides."""

from typing import Literal

import numpy as np

from mivex.core.base.settings import setting
from mivex.core.prepare.base import Context, Step, StepParams, Surface


class ClearBorder(StepParams):
    """Settings of ``clear-border``."""

    step: Literal["clear-border"] = "clear-border"
    width: float = setting(
        1.0, "Clear width", "Texels along each side that become fully clear.", unit="px", ge=0, le=4096, drag=(0, 64)
    )
    soft: float = setting(
        2.0, "Soft width", "Texels over which alpha comes back beyond that.", unit="px", ge=0, le=4096, drag=(0, 128)
    )


def run(surface: Surface, params: ClearBorder, context: Context) -> Surface:
    """Multiply alpha by ``smoothstep((d − width) / (soft + 1))``, ``d`` being whole texels from the border."""
    h, w = surface.alpha.shape
    y = np.minimum(np.arange(h), np.arange(h)[::-1])[:, None]
    x = np.minimum(np.arange(w), np.arange(w)[::-1])[None, :]
    d = np.minimum(y, x).astype(np.float32)
    width, soft = params.width * surface.scale, params.soft * surface.scale
    if width == 0 and soft == 0:
        return surface
    # One texel inside the clear band the ramp already lifts off zero; beyond the soft band it is one.
    t = np.clip((d - np.float32(width) + 1) / np.float32(soft + 1), 0, 1)
    ramp = np.where(d < width, np.float32(0), t * t * (3 - 2 * t))
    return surface.with_alpha(surface.alpha * ramp)


STEP = Step(
    ClearBorder,
    run,
    "Clear border",
    "Fade the alpha out along the picture's sides, so that no straight cut shows.",
    "edges",
)

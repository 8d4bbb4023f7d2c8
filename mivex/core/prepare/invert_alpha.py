"""Step ``invert-alpha``: what was clear becomes solid."""

from typing import Literal

import numpy as np

from mivex.core.prepare.base import Context, Step, StepParams, Surface


class InvertAlpha(StepParams):
    """Settings of ``invert-alpha``: none."""

    step: Literal["invert-alpha"] = "invert-alpha"


def run(surface: Surface, params: InvertAlpha, context: Context) -> Surface:
    """Replace alpha by ``1 − alpha``; colour stays."""
    return surface.with_alpha(np.float32(1) - surface.alpha)


STEP = Step(InvertAlpha, run, "Invert alpha", "Clear becomes solid and solid becomes clear.", "alpha")

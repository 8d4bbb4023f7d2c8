"""Step ``drop-alpha``: the picture is opaque, and its file needs no alpha channel."""

from typing import Literal

from mivex.core.prepare.base import Context, Step, StepParams, Surface


class DropAlpha(StepParams):
    """Settings of ``drop-alpha``; it has none."""

    step: Literal["drop-alpha"] = "drop-alpha"


def run(surface: Surface, params: DropAlpha, context: Context) -> Surface:
    """Alpha 1 everywhere, and no channel for it in the file."""
    return surface.with_alpha(surface.alpha * 0 + 1).but(has_alpha=False)


STEP = Step(DropAlpha, run, "Drop the alpha channel", "For opaque pictures: three channels instead of four.", "alpha")

"""Step ``unmatte``: take the backdrop out of soft texels, keeping the alpha that is there."""

from dataclasses import replace
from typing import Literal

from mivex.core.prepare.base import Context, Rgb, Space, Step, StepParams, Surface, colour_in, setting
from mivex.core.prepare.light import matte_out


class Unmatte(StepParams):
    """Settings of ``unmatte``."""

    step: Literal["unmatte"] = "unmatte"
    matte: Rgb = setting((0.0, 0.0, 0.0), "Matte", "The backdrop the picture was cut from; its rim "
                         "disappears from soft parts.", widget="colour")
    share: float = setting(1.0, "Share", "How much of the matte is still there: 1 takes all of it out.",
                           ge=0, le=1)
    space: Space = setting("display", "Blended in", "How the picture was once laid over its backdrop; paint "
                           "programs mostly blend display values.",
                           choices={"display": "Display values", "linear": "Linear light"})


def run(surface: Surface, params: Unmatte, context: Context) -> Surface:
    """Recover ``F = B + (C − B)/α`` wherever alpha is above zero."""
    if params.share == 0:
        return surface
    B = colour_in(params.matte, params.space, surface.data)
    return replace(surface, values=matte_out(surface, B, surface.alpha, params.share, params.space == "linear"))


STEP = Step(Unmatte, run, "Remove matte", "Clean the dark, bright or coloured rim that a backdrop left in "
            "soft parts.", "edges")

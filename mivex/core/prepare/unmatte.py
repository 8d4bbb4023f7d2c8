"""Step ``unmatte``: take the backdrop out of soft texels, keeping the alpha that is there."""

from typing import Literal

from mivex.core.prepare.base import Context, Rgb, Space, Step, StepParams, Surface, matte_linear, setting
from mivex.core.prepare.mattes import colour_under


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
    C = surface.rgb_in(params.space)
    B = matte_linear(params.matte, params.space, surface.data)
    F = colour_under(C, B, surface.alpha, params.share)
    out = surface.values.copy()
    changed = (F != C).any(axis=-1)
    out[..., :3][changed] = surface.rgb_from(F[changed], params.space)
    return surface.with_colour(out[..., :3])


STEP = Step(Unmatte, run, "Remove matte", "Clean the dark, bright or coloured rim that a backdrop left in "
            "soft parts.", "edges")

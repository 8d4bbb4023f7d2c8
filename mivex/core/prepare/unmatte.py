"""Step ``unmatte``: take the backdrop out of soft texels, keeping the alpha that is there."""

from typing import Literal

import numpy as np

from mivex.core.base.messages import Message
from mivex.core.base.settings import Rgb, setting
from mivex.core.pixels.colour import to_linear
from mivex.core.prepare.base import Context, Space, Step, StepParams, Surface, colour_in
from mivex.core.prepare.light import matte_out


class Unmatte(StepParams):
    """Settings of ``unmatte``."""

    step: Literal["unmatte"] = "unmatte"
    matte: Rgb = setting(
        (0.0, 0.0, 0.0),
        "Matte",
        "The backdrop the picture was cut from; its rim disappears from soft parts.",
        widget="colour",
    )
    share: float = setting(1.0, "Share", "How much of the matte is still there: 1 takes all of it out.", ge=0, le=1)
    space: Space = setting(
        "display",
        "Blended in",
        "How the picture was once laid over its backdrop; paint programs mostly blend display values.",
        choices={"display": "Display values", "linear": "Linear light"},
    )


def run(surface: Surface, params: Unmatte, context: Context) -> Surface:
    """Recover ``F = B + (C − B)/α`` wherever alpha is above zero."""
    if params.share == 0:
        return surface
    B = colour_in(params.matte, params.space, surface.data)
    linear = params.space == "linear"
    return surface.but(values=matte_out(surface.values, surface.traits, B, surface.alpha, params.share, linear))


def clipped(surface: Surface, params: Unmatte) -> float:
    """Share of the soft texels whose recovered colour would lie outside [0, 1] by more than rounding, and is clipped."""
    soft = (surface.alpha > 0.02) & (surface.alpha < 1)
    if params.share == 0 or not soft.any():
        return 0.0
    B = colour_in(params.matte, params.space, surface.data)
    values = surface.values[soft]
    C = to_linear(values[:, :3]) if params.space == "linear" and not surface.data else values[:, :3]
    keep = np.maximum(1 - params.share * (1 - values[:, 3:]), np.float32(1e-6))
    free = B + (C - B) / keep
    slack = 1 / 255 / keep + np.float32(0.02)
    return float(((free < -slack) | (free > 1 + slack)).any(axis=1).mean())


def note(surface: Surface, params: Unmatte) -> str:
    """Say so where good colour is clipped."""
    share = clipped(surface, params)
    return (
        Message("{share:.1%} of the soft texels are clipped: they cannot have lain over this matte.", share=share)
        if share > 0.005
        else ""
    )


STEP = Step(
    Unmatte,
    run,
    "Remove matte",
    "Clean the dark, bright or coloured rim that a backdrop left in soft parts.",
    "edges",
    note=note,
)

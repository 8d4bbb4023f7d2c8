"""Step ``levels``: stretch, bend and limit one channel."""

from collections.abc import Callable
from typing import Literal

import numpy as np

from mivex.core.base.settings import setting
from mivex.core.base.types import Floats
from mivex.core.prepare.base import Context, Step, StepParams, Surface

_CHANNELS = {"red": 0, "green": 1, "blue": 2, "alpha": 3}
Channel = Literal["alpha", "red", "green", "blue", "colour"]
CHANNEL_WORDS = {"alpha": "Alpha", "red": "Red", "green": "Green", "blue": "Blue", "colour": "Red, green and blue"}


class Levels(StepParams):
    """Settings of ``levels``."""

    step: Literal["levels"] = "levels"
    channel: Channel = setting("alpha", "Channel", "The channel that is reshaped.", choices=CHANNEL_WORDS)
    black: float = setting(
        0.0, "Low in", "Values at or below this become the low out value: raises it to clear away haze.", ge=0, le=1
    )
    white: float = setting(
        1.0, "High in", "Values at or above this become the high out value: lowers it to make the core solid.", ge=0, le=1
    )
    gamma: float = setting(
        1.0,
        "Gamma",
        "Above 1 lifts the middle and thickens soft parts; below 1 thins them.",
        ge=0.05,
        le=20,
        drag=(0.2, 5),
        log=True,
    )
    out_black: float = setting(0.0, "Low out", "What the lowest value becomes.", ge=0, le=1)
    out_white: float = setting(1.0, "High out", "What the highest value becomes.", ge=0, le=1)


def shape(values: Floats, p: Levels) -> Floats:
    """``out_black + (out_white − out_black) · clip((v − black)/(white − black))^(1/gamma)``.

    Parameters
    ----------
    values : float32 array of any shape, nominally in [0, 1]
    p : Levels

    Returns
    -------
    float32 array of the same shape. Where ``white ≤ black`` the ramp is a step at ``white``.
    """
    span = p.white - p.black
    if span > 1e-6:
        t = np.clip((values - np.float32(p.black)) / np.float32(span), 0, 1)
    else:
        t = (values >= np.float32(p.white)).astype(np.float32)
    if p.gamma != 1:
        t = np.power(t, np.float32(1 / p.gamma))
    return (np.float32(p.out_black) + np.float32(p.out_white - p.out_black) * t).astype(np.float32)


def run(surface: Surface, params: Levels, context: Context) -> Surface:
    """Apply `shape` to the chosen channel; the identity is exact."""
    p = params
    if (p.black, p.white, p.gamma, p.out_black, p.out_white) == (0, 1, 1, 0, 1):
        return surface
    return reshaped(surface, p.channel, lambda v: shape(v, p))


def reshaped(surface: Surface, channel: str, change: Callable[[Floats], Floats]) -> Surface:
    """Send one channel, or all three of colour, through a function of its values."""
    if channel == "alpha":
        return surface.with_alpha(change(surface.alpha))
    rgb = surface.values[..., :3].copy()
    which = slice(0, 3) if channel == "colour" else slice(_CHANNELS[channel], _CHANNELS[channel] + 1)
    rgb[..., which] = change(rgb[..., which])
    return surface.with_colour(rgb)


STEP = Step(Levels, run, "Levels", "Stretch, bend and limit the alpha or a colour channel.", "alpha")

"""Step ``combine``: join the alpha with another mask, by maximum, minimum, product, sum or difference."""

from typing import Literal

import numpy as np

from mivex.core.base.settings import setting
from mivex.core.base.types import Floats
from mivex.core.picture.picture import Picture
from mivex.core.pixels.colour import luminance
from mivex.core.prepare.base import Context, Step, StepParams, Surface
from mivex.core.prepare.resample import resized

Take = Literal["auto", "luminance", "largest", "red", "green", "blue", "alpha"]
Value = Literal["luminance", "largest", "red", "green", "blue", "alpha"]
_CHANNEL = {"red": 0, "green": 1, "blue": 2, "alpha": 3}
TAKE_WORDS = {
    "auto": "Alpha, or luminance",
    "luminance": "Luminance",
    "largest": "Largest channel",
    "red": "Red",
    "green": "Green",
    "blue": "Blue",
    "alpha": "Alpha",
}
VALUE_WORDS = {k: v for k, v in TAKE_WORDS.items() if k != "auto"}


class Combine(StepParams):
    """Settings of ``combine``."""

    step: Literal["combine"] = "combine"
    how: Literal["maximum", "minimum", "multiply", "add", "subtract"] = setting(
        "multiply",
        "Join by",
        "Maximum and add make more solid; minimum, multiply and subtract make more clear.",
        choices={"maximum": "Maximum", "minimum": "Minimum", "multiply": "Multiply", "add": "Add", "subtract": "Subtract"},
    )
    file: str = setting("", "Picture", "Another picture to take the mask from; empty: this picture itself.", widget="file")
    take: Take = setting("luminance", "Mask is its", "Which values of the picture are the mask.", choices=TAKE_WORDS)
    invert: bool = setting(False, "Invert", "Turns the mask round first.")
    amount: float = setting(1.0, "Amount", "0 leaves the alpha as it was, 1 joins in full.", ge=0, le=1)


def grey_of(values: Floats, take: str, has_alpha: bool = True) -> Floats:
    """One channel or measure of an ``(h, w, 4)`` array as ``(h, w)``."""
    if take == "auto":
        take = "alpha" if has_alpha else "luminance"
    if take == "luminance":
        return luminance(values)
    if take == "largest":
        return np.maximum(np.maximum(values[..., 0], values[..., 1]), values[..., 2])
    return values[..., _CHANNEL[take]]


def fitted(grey: Floats, height: int, width: int) -> Floats:
    """A grey picture brought to another size: each way area where it shrinks, linear where it grows."""
    if grey.shape == (height, width):
        return grey
    return resized(grey[..., None], width, height, "area")[..., 0]


def mask_of(picture: Picture, take: str, height: int, width: int) -> Floats:
    """A mask taken from a picture file, at the size wanted."""
    return np.clip(fitted(grey_of(picture.values, take, picture.has_alpha), height, width), 0, 1)


def run(surface: Surface, params: Combine, context: Context) -> Surface:
    """``maximum(α, m)``, ``minimum``, ``α·m``, ``α + m`` or ``α − m``, mixed in by ``amount``."""
    if params.amount == 0:
        return surface
    h, w = surface.alpha.shape
    m = (
        mask_of(context.load(params.file), params.take, h, w)
        if params.file
        else np.clip(grey_of(surface.values, params.take), 0, 1)
    )
    if params.invert:
        m = 1 - m
    a = surface.alpha
    joined = {
        "maximum": np.maximum,
        "minimum": np.minimum,
        "multiply": np.multiply,
        "add": np.add,
        "subtract": np.subtract,
    }[params.how](a, m)
    out = np.clip(joined, 0, 1)
    return surface.with_alpha(out if params.amount == 1 else a + (out - a) * np.float32(params.amount))


STEP = Step(
    Combine,
    run,
    "Combine masks",
    "Joins the alpha with another mask or another picture.",
    "alpha",
    lambda p: [p.file] if p.file else [],
)

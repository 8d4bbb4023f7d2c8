"""Step ``alpha-from``: make an alpha out of what a picture holds."""

from typing import ClassVar, Literal

from mivex.core.base.settings import Rgb, setting
from mivex.core.pixels.colour import luminance
from mivex.core.prepare.base import Context, Space, Step, StepParams, Surface, colour_in
from mivex.core.prepare.combine import mask_of
from mivex.core.prepare.light import matte_out
from mivex.core.prepare.mattes import alpha_against

_CHANNEL = {"red": 0, "green": 1, "blue": 2}


class AlphaFrom(StepParams):
    """Settings of ``alpha-from``."""

    WHEN: ClassVar = {
        "file": ("source", ("file",)),
        "matte": ("source", ("matte",)),
        "space": ("source", ("luminance", "largest", "red", "green", "blue", "matte")),
    }

    step: Literal["alpha-from"] = "alpha-from"
    source: Literal["luminance", "largest", "red", "green", "blue", "alpha", "file", "matte"] = setting(
        "luminance",
        "Take alpha from",
        "What becomes solid: bright parts, one channel, another picture, or all that differs from a backdrop.",
        choices={
            "luminance": "Luminance",
            "largest": "Largest channel",
            "red": "Red channel",
            "green": "Green channel",
            "blue": "Blue channel",
            "alpha": "Its own alpha",
            "file": "Another picture",
            "matte": "A matte",
        },
    )
    file: str = setting("", "Picture", "Its alpha if it has one, else its luminance; resized to fit.", widget="file")
    matte: Rgb = setting(
        (0.0, 0.0, 0.0),
        "Matte",
        "The flat colour the picture was painted or filmed over; it is taken out of the colour as well.",
        widget="colour",
    )
    space: Space = setting(
        "display",
        "Blended in",
        "How the picture was once laid over its backdrop; paint programs mostly blend display values.",
        choices={"display": "Display values", "linear": "Linear light"},
    )


def run(surface: Surface, params: AlphaFrom, context: Context) -> Surface:
    """Make the alpha; only ``matte`` changes the colour too.

    ``space`` says in which values luminance, channels and the matte are read,
    so that with the default a grey painted at 0.5 gives alpha 0.5.
    """
    p = params
    if p.source == "alpha":
        return surface
    if p.source == "file":
        if not p.file:
            return surface
        return surface.with_alpha(mask_of(context.load(p.file), "auto", *surface.alpha.shape))
    C = surface.rgb_in(p.space)
    if p.source == "luminance":
        return surface.with_alpha(luminance(C))
    if p.source == "largest":
        return surface.with_alpha(C.max(axis=-1))
    if p.source == "matte":
        B = colour_in(p.matte, p.space, surface.data)
        alpha = alpha_against(C, B)
        values = matte_out(surface.values, surface.traits, B, alpha, 1.0, p.space == "linear")
        return surface.but(values=values, has_alpha=True)
    return surface.with_alpha(C[..., _CHANNEL[p.source]])


def uses(params: AlphaFrom) -> list[str]:
    """The mask file, where one is read."""
    return [params.file] if params.source == "file" and params.file else []


STEP = Step(
    AlphaFrom, run, "Make alpha", "Take the alpha from brightness, a channel, another picture or a matte.", "alpha", uses
)

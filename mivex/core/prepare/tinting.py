"""Steps that colour soft shapes: ``gradient-map``, ``tint``, ``add-tint``, ``glow``. Alpha stays as it is."""

from typing import Annotated, ClassVar, Literal

import numpy as np
from pydantic import AfterValidator

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.settings import Rgb, setting
from mivex.core.base.types import Floats
from mivex.core.pixels.colour import to_display, to_linear
from mivex.core.prepare.base import Context, Space, Step, StepParams, Surface, colour_in
from mivex.core.prepare.blur import BORDER_WORDS, Border, blurred
from mivex.core.prepare.combine import VALUE_WORDS, Value, grey_of, mask_of
from mivex.core.prepare.falloff import FallOffFields, Stroke, brushed, fall_off
from mivex.core.prepare.light import relit
from mivex.core.prepare.weighing import premultiply

_kernels = Lazy("mivex.core.prepare.kernels.tinting")

Stop = tuple[float, Rgb]


def _in_order(stops: tuple[Stop, ...]) -> tuple[Stop, ...]:
    if len(stops) < 2:
        raise ValueError("a ramp needs at least two colours")
    if not all(0 <= at <= 1 for at, _ in stops):
        raise ValueError("a ramp's colours must stand between 0 and 1")
    return tuple(sorted(stops, key=lambda s: s[0]))


class GradientMap(StepParams):
    """Settings of ``gradient-map``."""

    step: Literal["gradient-map"] = "gradient-map"
    take: Value = setting("luminance", "Value is", "Which values choose the colour.", choices=VALUE_WORDS)
    ramp: Annotated[tuple[Stop, ...], AfterValidator(_in_order)] = setting(
        ((0.0, (0.05, 0.08, 0.12)), (0.5, (0.35, 0.55, 0.6)), (1.0, (0.95, 0.98, 0.92))),
        "Ramp",
        "Low values take the colours on the left, high ones those on the right. Click below the ramp to add a colour.",
        widget="ramp",
    )
    amount: float = setting(1.0, "Amount", "0 keeps the colours as they were.", ge=0, le=1)
    space: Space = setting(
        "linear",
        "Mixed in",
        "Light mixes evenly in linear light; display values give the steps of a painted ramp.",
        choices={"linear": "Linear light", "display": "Display values"},
    )


class Tint(StepParams):
    """Settings of ``tint``."""

    step: Literal["tint"] = "tint"
    colour: Rgb = setting((1.0, 1.0, 1.0), "Colour", "Multiplies every colour; white leaves them alone.", widget="colour")
    amount: float = setting(1.0, "Amount", "0 keeps the colours as they were.", ge=0, le=1)


class AddTint(FallOffFields):
    """Settings of ``add-tint``."""

    WHEN: ClassVar = {"file": ("mask", ("file",)), "strokes": ("mask", ("brush",))} | {
        key: ("mask", ("fall-off",)) for key in ("shape", "x", "y", "radius", "stretch", "angle", "soft", "profile")
    }

    step: Literal["add-tint"] = "add-tint"
    colour: Rgb = setting((1.0, 0.55, 0.2), "Colour", "The light that is added.", widget="colour")
    gain: float = setting(0.5, "Gain", "How much of it; 0 adds nothing.", ge=0, le=8, drag=(0, 2))
    by_value: bool = setting(
        True,
        "By brightness",
        "Bright parts take more of it, black ones none: tints a grey shape without filling its shadows.",
    )
    mask: Literal["fall-off", "brush", "file", "everywhere"] = setting(
        "fall-off",
        "Mask",
        "A fall-off with handles, strokes of a soft brush, another picture, or everywhere.",
        choices={
            "fall-off": "A fall-off",
            "brush": "Brushed strokes",
            "file": "Another picture",
            "everywhere": "Everywhere",
        },
    )
    file: str = setting("", "Picture", "The mask: its alpha if it has one, else its luminance.", widget="file")
    strokes: tuple[Stroke, ...] = setting(
        (), "Strokes", "Paint in the flat proof; each stroke can be undone.", widget="strokes"
    )


class Glow(StepParams):
    """Settings of ``glow``."""

    step: Literal["glow"] = "glow"
    amount: float = setting(
        0.5, "Amount", "How much of the blurred copy is screened over; 0 adds nothing.", ge=0, le=4, drag=(0, 2)
    )
    radius: float = setting(
        12.0, "Radius", "Standard deviation of the blurred copy.", unit="px", ge=0, le=512, drag=(0, 64)
    )
    border: Border = setting(
        "clamp", "At the border", "Wrap keeps a repeating texture free of seams.", choices=BORDER_WORDS
    )


def run_gradient(surface: Surface, params: GradientMap, context: Context) -> Surface:
    """Replace colour by the ramp's colour at the texel's value; amount 0 changes nothing."""
    if params.amount == 0:
        return surface
    at = np.array([s[0] for s in params.ramp])
    colours = np.array([s[1] for s in params.ramp], np.float32)
    linear = params.space == "linear" and not surface.data
    if linear:
        colours = to_linear(colours)
    steps = np.linspace(0, 1, 4097)
    table = np.stack([np.interp(steps, at, colours[:, c]) for c in range(3)], axis=1).astype(np.float32)
    if params.amount == 1 and linear:
        table = to_display(table)  # looked up as it is stored
    out: Floats = np.empty(surface.values.shape, np.float32)
    grey = np.ascontiguousarray(grey_of(surface.values, params.take), np.float32)
    run_bands(out.shape[0], lambda a, b: _kernels.ramp_rows(surface.values, grey, table, out, a, b))
    if params.amount == 1:
        return surface.but(values=out)
    rgb = surface.rgb_in(params.space)
    return surface.with_colour(surface.rgb_from(rgb + (out[..., :3] - rgb) * np.float32(params.amount), params.space))


def run_tint(surface: Surface, params: Tint, context: Context) -> Surface:
    """``C · tint`` in linear light; white or amount 0 changes nothing."""
    if params.amount == 0 or params.colour == (1, 1, 1):
        return surface
    tint = colour_in(params.colour, "linear", surface.data)
    return surface.but(values=relit(surface.values, surface.traits, factor=tint, share=params.amount))


def run_add(surface: Surface, params: AddTint, context: Context) -> Surface:
    """``C + gain · mask · colour`` in linear light, times luminance where asked; gain 0 changes nothing."""
    if params.gain == 0:
        return surface
    h, w = surface.alpha.shape
    weight: Floats = np.full((h, w), params.gain, np.float32)
    if params.mask == "fall-off":
        weight *= fall_off(params, surface)
    elif params.mask == "brush":
        weight *= brushed(params.strokes, h, w)
    elif params.mask == "file":
        if not params.file:
            return surface
        weight *= mask_of(context.load(params.file), "auto", h, w)
    colour = colour_in(params.colour, "linear", surface.data)
    return surface.but(values=relit(surface.values, surface.traits, weight=weight, colour=colour, by_value=params.by_value))


def run_glow(surface: Surface, params: Glow, context: Context) -> Surface:
    """Screen a blurred copy over, ``1 − (1 − C)(1 − amount·G)`` in linear light (W3C *Compositing and Blending*).

    The copy is blurred premultiplied, so that hidden colour does not glow.
    """
    sigma = params.radius * surface.scale
    if params.amount == 0:
        return surface
    glow = blurred(premultiply(surface.values, surface.traits), sigma, params.border == "wrap")
    return surface.but(values=relit(surface.values, surface.traits, glow=glow, amount=params.amount))


STEP = (
    Step(
        GradientMap, run_gradient, "Gradient map", "Gives every value a colour out of a ramp; alpha stays apart.", "colour"
    ),
    Step(Tint, run_tint, "Tint", "Multiplies all colour by one.", "colour"),
    Step(
        AddTint,
        run_add,
        "Add a tint",
        "Adds coloured light where a soft mask says: a fall-off, brushed strokes, another picture.",
        "colour",
        lambda p: [p.file] if p.mask == "file" and p.file else [],
    ),
    Step(Glow, run_glow, "Glow", "Screens a blurred copy over the colour; alpha stays apart.", "colour"),
)

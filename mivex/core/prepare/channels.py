"""Steps for channels: ``take-channel`` (split), ``pack``, ``recolour``."""

from typing import ClassVar, Literal

import numpy as np
from pydantic import BaseModel, ConfigDict

from mivex.core.base.settings import Rgb, setting
from mivex.core.base.types import Floats
from mivex.core.prepare.base import Context, Step, StepParams, Surface, colour_in
from mivex.core.prepare.combine import TAKE_WORDS, VALUE_WORDS, Take, Value, grey_of, mask_of
from mivex.core.prepare.light import masks_coloured

CHANNELS = ("red", "green", "blue", "alpha")


class TakeChannel(StepParams):
    """Settings of ``take-channel``."""

    step: Literal["take-channel"] = "take-channel"
    take: Value = setting("red", "Channel", "The values that become the grey picture.", choices=VALUE_WORDS)
    alpha: Literal["solid", "keep", "same"] = setting(
        "solid",
        "Alpha",
        "Solid everywhere, kept as it is, or the same values as the grey.",
        choices={"solid": "Solid", "keep": "Keep", "same": "The same values"},
    )


class PackedChannel(BaseModel):
    """What goes into one channel of a packed texture."""

    model_config = ConfigDict(frozen=True, defer_build=True, extra="allow", allow_inf_nan=False)
    WHEN: ClassVar = {"file": ("source", ("file",)), "value": ("source", ("value", "file"))} | {
        key: ("source", ("this", "file")) for key in ("take", "invert", "low", "high")
    }

    name: str = setting("", "Name", "What this channel means to the receiver: core, outer, roughness …")
    source: Literal["this", "file", "value"] = setting(
        "this",
        "From",
        "This picture, another file, or one value everywhere.",
        choices={"this": "This picture", "file": "Another picture", "value": "One value"},
    )
    file: str = setting("", "Picture", "Resized to fit; while there is none, the value stands.", widget="file")
    take: Take = setting("luminance", "Value read", "Which values of the picture.", choices=TAKE_WORDS)
    invert: bool = setting(False, "Invert", "Turns it round.")
    low: float = setting(0.0, "Low in", "Becomes 0.", ge=0, le=1)
    high: float = setting(1.0, "High in", "Becomes 1.", ge=0, le=1)
    value: float = setting(0.0, "Value", "Fills the channel where there is no picture.", ge=0, le=1)


def _own(channel: str) -> PackedChannel:
    return PackedChannel.model_construct(take=channel)  # type: ignore[arg-type]


class Pack(StepParams):
    """Settings of ``pack``."""

    step: Literal["pack"] = "pack"
    name: str = setting(
        "", "Packing", "Name of the whole, for instance occlusion, roughness, metal; it goes into the blend sheet."
    )
    red: PackedChannel = setting(_own("red"), "Red", "What the red channel holds.", widget="packed")
    green: PackedChannel = setting(_own("green"), "Green", "What the green channel holds.", widget="packed")
    blue: PackedChannel = setting(_own("blue"), "Blue", "What the blue channel holds.", widget="packed")
    alpha: PackedChannel = setting(_own("alpha"), "Alpha", "What the alpha channel holds.", widget="packed")


class Recolour(StepParams):
    """Settings of ``recolour``."""

    step: Literal["recolour"] = "recolour"
    red: Rgb = setting((1.0, 0.95, 0.8), "Red becomes", "Colour of what the red channel masks.", widget="colour")
    red_gain: float = setting(1.0, "Red gain", "How bright.", ge=0, le=16, drag=(0, 3))
    green: Rgb = setting((1.0, 0.6, 0.25), "Green becomes", "Colour of what the green channel masks.", widget="colour")
    green_gain: float = setting(1.0, "Green gain", "How bright.", ge=0, le=16, drag=(0, 3))
    blue: Rgb = setting((0.5, 0.25, 0.15), "Blue becomes", "Colour of what the blue channel masks.", widget="colour")
    blue_gain: float = setting(1.0, "Blue gain", "How bright.", ge=0, le=16, drag=(0, 3))
    glow: Rgb = setting((0.6, 0.7, 1.0), "Alpha becomes", "Colour of what the alpha channel masks.", widget="colour")
    glow_gain: float = setting(0.0, "Alpha gain", "How bright; 0 where alpha is only alpha.", ge=0, le=16, drag=(0, 3))
    brightness: float = setting(1.0, "Brightness", "Of the sum.", ge=0, le=16, drag=(0, 3))
    alpha: Literal["keep", "largest", "sum"] = setting(
        "keep",
        "Alpha is then",
        "Kept, or the largest or the sum of the masks.",
        choices={"keep": "Kept", "largest": "Largest mask", "sum": "Sum of masks"},
    )


def run_take(surface: Surface, params: TakeChannel, context: Context) -> Surface:
    """Repeat one channel as grey; the result is data."""
    grey = np.clip(grey_of(surface.values, params.take), 0, 1)
    alpha = {"solid": np.ones_like(grey), "keep": surface.alpha, "same": grey}[params.alpha]
    return surface.but(
        values=np.stack([grey, grey, grey, alpha], axis=-1).astype(np.float32),
        data=True,
        has_alpha=surface.has_alpha or params.alpha == "same",
    )


def _fill(surface: Surface, c: PackedChannel, context: Context) -> Floats:
    h, w = surface.alpha.shape
    if c.source == "value" or (c.source == "file" and not c.file):
        return np.full((h, w), c.value, np.float32)
    if c.source == "file":
        grey = mask_of(context.load(c.file), c.take, h, w)
    else:
        grey = np.clip(grey_of(surface.values, c.take, surface.has_alpha), 0, 1)
    if (c.low, c.high) != (0, 1):
        span = c.high - c.low
        grey = (
            np.clip((grey - np.float32(c.low)) / np.float32(span), 0, 1)
            if span > 1e-6
            else (grey >= np.float32(c.high)).astype(np.float32)
        )
    return 1 - grey if c.invert else grey


def run_pack(surface: Surface, params: Pack, context: Context) -> Surface:
    """Fill four channels, each from its own source, after its own levels and inversion; the result is data."""
    parts = [_fill(surface, getattr(params, c), context) for c in CHANNELS]
    return surface.but(values=np.stack(parts, axis=-1).astype(np.float32), data=True, has_alpha=True)


def run_recolour(surface: Surface, params: Recolour, context: Context) -> Surface:
    """``brightness · Σ gainᵢ · maskᵢ · colourᵢ``, colours in linear light; the result is colour."""
    p = params
    m = surface.values
    gains = np.array([p.red_gain, p.green_gain, p.blue_gain, p.glow_gain], np.float32)
    colours = np.stack([colour_in(c, "linear", False) for c in (p.red, p.green, p.blue, p.glow)])
    values = masks_coloured(m, (colours * gains[:, None] * np.float32(p.brightness)).astype(np.float32))
    used = gains > 0
    alpha = surface.alpha
    if p.alpha != "keep" and used.any():
        masks = m[..., used]
        alpha = masks.max(axis=-1) if p.alpha == "largest" else np.clip(masks.sum(axis=-1), 0, 1)
    out = surface.but(values=values, data=False)
    return out if p.alpha == "keep" else out.with_alpha(alpha)


def _files(params: Pack) -> list[str]:
    rows = [getattr(params, c) for c in CHANNELS]
    return [c.file for c in rows if c.source == "file" and c.file]


STEP = (
    Step(TakeChannel, run_take, "Take one channel", "Keeps one channel as a grey picture.", "source"),
    Step(Pack, run_pack, "Pack channels", "Puts four sources into red, green, blue and alpha.", "source", _files),
    Step(Recolour, run_recolour, "Recolour by channel", "Gives each channel of a masked sprite its own colour.", "colour"),
)

"""Steps that draw: ``text`` in a shipped font and ``shape`` from an SVG file, at any size with exact coverage."""

import math
from collections.abc import Sequence
from typing import ClassVar, Literal

import numpy as np

from mivex.core.base.settings import Rgb, setting
from mivex.core.base.types import Floats
from mivex.core.picture.lettering import covered, text_edges
from mivex.core.picture.svg import draw_svg
from mivex.core.pixels.colour import to_display
from mivex.core.pixels.nearest import nearest
from mivex.core.prepare.base import Context, Step, StepParams, Surface, colour_in
from mivex.core.prepare.grow import grown
from mivex.core.prepare.light import laid_over

How = Literal["over", "cut"]
BENEATH_WORDS = "Beneath the layers"
BENEATH_HINT = "Drawn before the overlay's own layers, which lie over it: dust, scratches and worn edges take it along."
HOW_WORDS = {"over": "Over the picture", "cut": "Cut out of the alpha"}


class Text(StepParams):
    """Settings of ``text``."""

    step: Literal["text"] = "text"
    text: str = setting("NR-04", "Text", "Drawn in the shipped font; a vertical bar begins a new line.")
    font: Literal["regular", "medium", "semibold"] = setting(
        "semibold", "Weight", "How bold it is.", choices={"regular": "Regular", "medium": "Medium", "semibold": "Semi-bold"}
    )
    size: float = setting(
        0.2,
        "Size",
        "Height of the letters' body, as a share of the picture's height.",
        ge=0.005,
        le=4,
        drag=(0.02, 1.2),
        widget="handle",
    )
    x: float = setting(
        0.0, "Across", "Right of the pivot, as a share of the width.", ge=-2, le=2, drag=(-0.5, 0.5), widget="handle"
    )
    y: float = setting(
        0.0, "Down", "Below the pivot, as a share of the height.", ge=-2, le=2, drag=(-0.5, 0.5), widget="handle"
    )
    angle: float = setting(0.0, "Angle", "Turns it.", unit="°", ge=-360, le=360, drag=(-180, 180))
    spacing: float = setting(0.0, "Spacing", "More room between letters.", unit="em", ge=-0.5, le=4, drag=(-0.1, 0.5))
    colour: Rgb = setting((1.0, 1.0, 1.0), "Colour", "Of the letters.", widget="colour")
    outline: float = setting(
        0.0, "Outline", "A band of even width round the letters.", unit="px", ge=0, le=256, drag=(0, 24)
    )
    outline_colour: Rgb = setting((0.08, 0.1, 0.12), "Its colour", "Of the outline.", widget="colour")
    how: How = setting("over", "Drawn", "Over what is there, or out of its alpha.", choices=HOW_WORDS)
    beneath: bool = setting(False, BENEATH_WORDS, BENEATH_HINT)


class Shape(StepParams):
    """Settings of ``shape``."""

    WHEN: ClassVar = {"colour": ("colours", ("one",))}

    step: Literal["shape"] = "shape"
    file: str = setting("", "SVG file", "Drawn at the picture's own size, however large.", widget="svg")
    size: float = setting(
        0.9, "Size", "Share of the picture that the drawing fills.", ge=0.005, le=4, drag=(0.05, 1.2), widget="handle"
    )
    x: float = setting(
        0.0, "Across", "Right of the pivot, as a share of the width.", ge=-2, le=2, drag=(-0.5, 0.5), widget="handle"
    )
    y: float = setting(
        0.0, "Down", "Below the pivot, as a share of the height.", ge=-2, le=2, drag=(-0.5, 0.5), widget="handle"
    )
    colours: Literal["own", "one"] = setting(
        "own",
        "Colours",
        "Those of the drawing, or one for all of it.",
        choices={"own": "The drawing's own", "one": "One colour"},
    )
    colour: Rgb = setting((1.0, 1.0, 1.0), "Colour", "Of the whole shape.", widget="colour")
    how: How = setting("over", "Drawn", "Over what is there, or out of its alpha.", choices=HOW_WORDS)
    beneath: bool = setting(False, BENEATH_WORDS, BENEATH_HINT)


def drawn_beneath(steps: Sequence[StepParams]) -> tuple[Text | Shape, ...]:
    """Steps that draw before an overlay's layers, in their order; the others come after them."""
    return tuple(s for s in steps if isinstance(s, Text | Shape) and s.beneath and s.on)


def text_cover(p: Text, surface: Surface) -> Floats:
    """Exact coverage of the text alone; float32 (height, width)."""
    h, w = surface.alpha.shape
    edges = text_edges(p.text.replace("|", "\n"), p.font, p.size * h, p.spacing)
    turn = math.radians(p.angle)
    cos, sin = math.cos(turn), math.sin(turn)
    points = edges.reshape(-1, 2)
    placed = np.stack(
        [
            points[:, 0] * cos - points[:, 1] * sin + (surface.pivot[0] + p.x) * w,
            points[:, 0] * sin + points[:, 1] * cos + (surface.pivot[1] + p.y) * h,
        ],
        axis=1,
    )
    return covered(placed.reshape(-1, 4), h, w)


def run_text(surface: Surface, params: Text, context: Context) -> Surface:
    """Draw the text, its outline beneath it; an empty text changes nothing."""
    p = params
    if not p.text.strip():
        return surface
    cover = text_cover(p, surface)
    wide = grown(cover, p.outline * surface.scale) if p.outline > 0 else cover
    if p.how == "cut":
        return surface.with_alpha(surface.alpha * (1 - wide))
    if p.outline > 0:
        values = laid_over(surface.values, surface.traits, colour_in(p.outline_colour, "linear", surface.data), wide)
        surface = surface.but(values=values, has_alpha=True)
    values = laid_over(surface.values, surface.traits, colour_in(p.colour, "linear", surface.data), cover)
    return surface.but(values=values, has_alpha=True)


def run_shape(surface: Surface, params: Shape, context: Context) -> Surface:
    """Draw the SVG; without a file nothing changes."""
    p = params
    if not p.file:
        return surface
    h, w = surface.alpha.shape
    # Finer where it costs little; a proxy is only looked at.
    side = max(h, w)
    fine = 1 if surface.scale < 1 or side > 2048 else 2 if side > 512 else 4
    shift = (surface.pivot[0] - 0.5 + p.x) * w, (surface.pivot[1] - 0.5 + p.y) * h
    frame = draw_svg(context.place(p.file), w, h, fine, shift, p.size)
    if p.how == "cut":
        return surface.with_alpha(surface.alpha * (1 - frame[..., 3]))
    if p.colours == "one":
        frame[..., :3] = to_display(colour_in(p.colour, "linear", False))
    elif (frame[..., 3] == 0).any() and (frame[..., 3] > 0).any():
        # Under clear texels the nearest colour of the drawing, so that none leaks in.
        frame[..., :3] = frame.reshape(-1, 4)[nearest(frame[..., 3] > 0)[0], :3]
    drawing = surface.but(values=frame)
    values = laid_over(surface.values, surface.traits, drawing.rgb_in("linear"), frame[..., 3])
    return surface.but(values=values, has_alpha=True)


STEP = (
    Step(Text, run_text, "Text", "Draws letters in the shipped font, at any size with exact edges.", "source"),
    Step(
        Shape,
        run_shape,
        "Shape from SVG",
        "Draws an SVG file at the picture's own size.",
        "source",
        lambda p: [p.file] if p.file else [],
    ),
)

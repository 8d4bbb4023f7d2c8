"""Steps for repeating textures: ``make-tile`` and ``noise``; and the seam figure.

References
----------
Perlin (2002), *Improving Noise*: gradient noise; its lattice is taken modulo
the period here, so that it repeats by construction.
"""

from dataclasses import dataclass
from typing import Literal

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.settings import setting
from mivex.core.base.types import Floats
from mivex.core.picture.texture import Texture
from mivex.core.prepare.base import Context, Step, StepParams, Surface
from mivex.core.prepare.weighing import premultiply, unpremultiply

_kernels = Lazy("mivex.core.prepare.kernels.tiling")


class MakeTile(StepParams):
    """Settings of ``make-tile``."""

    step: Literal["make-tile"] = "make-tile"
    band: float = setting(
        0.25,
        "Band",
        "Width along each side, as a share of the picture, over which it passes into its own middle; 0 changes nothing.",
        ge=0,
        le=0.5,
    )
    way: Literal["both", "across", "down"] = setting(
        "both",
        "Repeats",
        "Which sides must meet.",
        choices={"both": "Both ways", "across": "Left and right", "down": "Top and bottom"},
    )


class Noise(StepParams):
    """Settings of ``noise``."""

    step: Literal["noise"] = "noise"
    form: Literal["clouds", "ridges", "grain"] = setting(
        "clouds",
        "Form",
        "Clouds are soft, ridges vein-like, grain is fine and even.",
        choices={"clouds": "Clouds", "ridges": "Ridges", "grain": "Grain"},
    )
    cells: int = setting(
        6, "Features", "Largest features across the picture; it repeats exactly.", ge=1, le=512, drag=(1, 64)
    )
    octaves: int = setting(4, "Detail", "Layers, each twice as fine and half as strong.", ge=1, le=9)
    contrast: float = setting(1.5, "Contrast", "Spreads the values apart.", ge=0, le=16, drag=(0.2, 5))
    middle: float = setting(0.5, "Middle", "Lower gives more holes, higher more body.", ge=0, le=1)
    seed: int = setting(
        1, "Seed", "Another number, another pattern; the same number, the same one.", ge=0, le=99999, drag=(0, 100)
    )
    into: Literal["multiply", "subtract", "replace", "colour"] = setting(
        "multiply",
        "Goes into",
        "Multiplies the alpha, is taken from it, takes its place, or becomes grey colour.",
        choices={
            "multiply": "Alpha, multiplied",
            "subtract": "Alpha, taken away",
            "replace": "Alpha, replaced",
            "colour": "Colour, as grey",
        },
    )
    amount: float = setting(1.0, "Amount", "0 changes nothing.", ge=0, le=1)


def noise_field(height: int, width: int, p: Noise) -> Floats:
    """The noise in [0, 1], repeating with the picture; the same pattern at every size."""
    out: Floats = np.zeros((height, width), np.float32)
    # Whole numbers of features along each side: only then does the noise meet itself.
    across = max(1, round(p.cells * width / max(width, height)))
    down = max(1, round(p.cells * height / max(width, height)))
    if p.form == "grain":
        run_bands(height, lambda a, b: _kernels.grain_rows(across, down, p.octaves, p.seed, out, a, b))
    else:
        ridges = int(p.form == "ridges")
        run_bands(height, lambda a, b: _kernels.noise_rows(across, down, p.octaves, p.seed, ridges, out, a, b))
    # The noise lies in about −1 to 1; half of it either way of the middle fills 0 to 1 at a contrast of 1.
    return np.clip(out * np.float32(p.contrast / 2) + np.float32(p.middle), 0, 1)


def run_noise(surface: Surface, params: Noise, context: Context) -> Surface:
    """Join the noise with alpha, or make it the colour; amount 0 changes nothing."""
    if params.amount == 0:
        return surface
    h, w = surface.alpha.shape
    n = noise_field(h, w, params)
    k = np.float32(params.amount)
    if params.into == "colour":
        rgb = surface.values[..., :3]
        return surface.with_colour(rgb + (n[..., None] - rgb) * k)
    a = surface.alpha
    joined = a * n if params.into == "multiply" else np.clip(a - n, 0, 1) if params.into == "subtract" else n
    return surface.with_alpha(a + (joined - a) * k)


def _ramp(n: int, band: float) -> Floats:
    """1 in the middle, falling smoothly to 0 at both ends over ``band`` of the length."""
    x = (np.arange(n) + 0.5) / n
    t = np.clip(np.minimum(x, 1 - x) / max(band, 1e-6), 0, 1)
    return (t * t * (3 - 2 * t)).astype(np.float32)


def run_tile(surface: Surface, params: MakeTile, context: Context) -> Surface:
    """``w·I(x) + (1 − w)·I(x + half)``, premultiplied in linear light: at the sides stands the unbroken middle."""
    if params.band == 0:
        return surface
    # Mixed as light times alpha: straight colour of clear texels would come into the middle otherwise.
    p = premultiply(surface.values, surface.traits)
    h, w = p.shape[:2]
    flat = np.ones((1, 1), np.float32)
    across = _ramp(w, params.band) if params.way in ("both", "across") else flat[0]
    down = _ramp(h, params.band) if params.way in ("both", "down") else flat[0]
    out: Floats = np.empty_like(p)
    run_bands(h, lambda a, b: _kernels.tile_rows(p, across, down, out, a, b))
    return surface.but(values=unpremultiply(out, surface.values, surface.data))


@dataclass(frozen=True)
class Seam:
    """How a texture meets itself across one pair of sides.

    Attributes
    ----------
    sides : str
        ``left and right`` or ``top and bottom``.
    across, inside : float
        Mean step from texel to texel over the seam, and inside; 0 to 255, of colour times alpha and of alpha.
    """

    sides: str
    across: float
    inside: float

    @property
    def ratio(self) -> float:
        """How many times the inner step the seam is; 1 is no seam at all."""
        return self.across / max(self.inside, 0.25)


BLOCK = 256
"""Rows that are measured at a time."""


def seams(texture: Texture) -> tuple[Seam, Seam]:
    """Differences of opposite borders, in display codes: left to right and top to bottom."""
    v = texture.values
    h, w = v.shape[:2]

    def shown(part: Floats) -> Floats:
        made = part * np.float32(255)
        made[..., :3] *= part[..., 3:]
        return made

    across = down = 0.0
    # Block by block, each with the row that follows: a large picture would take several times its memory.
    for top in range(0, h, BLOCK):
        part = shown(v[top : top + BLOCK + 1])
        across += float(np.abs(np.diff(part[:BLOCK], axis=1)).sum(dtype=np.float64))
        down += float(np.abs(np.diff(part, axis=0)).sum(dtype=np.float64))
    sides, ends = shown(v[:, [0, -1]]), shown(v[[0, -1]])
    return (
        Seam("left and right", float(np.abs(sides[:, 0] - sides[:, 1]).mean()), across / max(4 * h * (w - 1), 1)),
        Seam("top and bottom", float(np.abs(ends[0] - ends[1]).mean()), down / max(4 * w * (h - 1), 1)),
    )


STEP = (
    Step(
        MakeTile,
        run_tile,
        "Make it tile",
        "Blends the sides into the picture's own middle, so that it repeats without a seam.",
        "source",
        moves=True,
    ),
    Step(
        Noise,
        run_noise,
        "Noise",
        "Breaks up the alpha, or makes a pattern, with noise that repeats by construction.",
        "alpha",
    ),
)

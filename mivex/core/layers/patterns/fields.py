"""Patterns that fill the picture: noise, clouds, cells, smears, ramps, stripes.

References
----------
Perlin (2002), *Improving Noise*; Worley (1996), *A Cellular Texture Basis Function*; Quilez, domain warping: a
noise read at places that another noise has moved.
"""

import math
from functools import lru_cache
from typing import Any, ClassVar, Literal

import numpy as np

from mivex.core.base.settings import setting
from mivex.core.base.types import Floats
from mivex.core.layers.patterns.base import (
    SEEN,
    Pattern,
    PatternParams,
    away,
    cellular,
    counts,
    fractal,
    level_for,
    seed,
    small_size,
    smooth,
    usual,
    warped,
)


def _features(default: int, most: int = 64) -> int:
    made: int = setting(default, "Features", "How many go into the shorter side.", ge=1, le=128, drag=(1, most))
    return made


class LayeredNoise(PatternParams):
    """Settings of ``noise``."""

    kind: Literal["noise"] = "noise"
    form: Literal["soft", "veins"] = setting(
        "soft", "Form", "Soft hills, or thin veins.", choices={"soft": "Soft", "veins": "Veins"}
    )
    features: int = _features(6)
    detail: int = setting(5, "Detail", "Layers, each twice as fine and half as strong.", ge=1, le=8)
    contrast: float = setting(1.4, "Contrast", "Spreads the values apart.", ge=0, le=16, drag=(0.2, 5))
    seed: int = seed()


def draw_noise(p: LayeredNoise, h: int, w: int) -> Floats:
    """Layered gradient noise about one half."""
    n = fractal(h, w, p.features, p.detail, p.seed, ridges=p.form == "veins")
    return np.clip(n * np.float32(p.contrast / 2) + np.float32(0.5), 0, 1)


class Clouds(PatternParams):
    """Settings of ``clouds``."""

    kind: Literal["clouds"] = "clouds"
    features: int = _features(3, 24)
    swirl: float = setting(0.12, "Swirl", "How far another noise drags it about.", ge=0, le=1, drag=(0, 0.4))
    cover: float = setting(0.5, "Cover", "The share of the picture that they fill, in the mean.", ge=0, le=1)
    soft: float = setting(0.5, "Softness", "Width of their edges.", ge=0.02, le=1)
    seed: int = seed()


def _cloud_field(p: Clouds, h: int, w: int) -> Floats:
    n = fractal(h, w, p.features, 5, p.seed)
    if p.swirl > 0:
        dx, dy = (fractal(h, w, p.features, 2, p.seed + k) * np.float32(p.swirl) for k in (101, 202))
        n = warped(n, dx, dy)
    return n


@lru_cache(256)
def _cloud_level(p: Clouds, h: int, w: int) -> float:
    """Where the noise is cut so that the mean is the cover."""
    n = _cloud_field(p, h, w)
    edge = p.soft * 0.6
    return -level_for(p.cover, lambda t: float(smooth(n, -t - edge, -t + edge).mean()), -3.0, 3.0)


def draw_clouds(p: Clouds, h: int, w: int) -> Floats:
    """Noise dragged about by noise, cut softly at the level that leaves the cover: its mean is the share that is set."""
    level, edge = _cloud_level(p, *small_size(h, w)), p.soft * 0.6
    return smooth(_cloud_field(p, h, w), level - edge, level + edge)


class Cells(PatternParams):
    """Settings of ``cells``."""

    kind: Literal["cells"] = "cells"
    form: Literal["bumps", "cracks", "plates"] = setting(
        "bumps",
        "Form",
        "Round bumps, the cracks between, or plates of their own shade.",
        choices={"bumps": "Bumps", "cracks": "Cracks", "plates": "Plates"},
    )
    features: int = _features(8)
    wild: float = setting(1.0, "Irregularity", "0 is a lattice.", ge=0, le=1)
    width: float = setting(0.12, "Crack width", "Against the size of a cell.", ge=0.005, le=1, drag=(0.02, 0.5))
    seed: int = seed()
    WHEN: ClassVar = {"width": ("form", ("cracks",))}


def draw_cells(p: Cells, h: int, w: int) -> Floats:
    """Distances to scattered points."""
    near, second, which = cellular(h, w, p.features, p.wild, p.seed)
    if p.form == "plates":
        return which
    if p.form == "cracks":
        return 1 - smooth(second - near, 0.0, p.width)
    return np.clip(1 - near, 0, 1)


class Smears(PatternParams):
    """Settings of ``smears``."""

    kind: Literal["smears"] = "smears"
    run: Literal["across", "down"] = setting(
        "across", "Wiped", "Which way the cloth went.", choices={"across": "Across", "down": "Down"}
    )
    features: int = _features(10, 40)
    stretch: float = setting(8.0, "Length", "Against their width.", unit="×", ge=1, le=32)
    bend: float = setting(0.12, "Bend", "How far they leave the straight.", ge=0, le=1, drag=(0, 0.4))
    cover: float = setting(0.5, "Cover", "The share of the picture that is smeared.", ge=0, le=1)
    seed: int = seed()


def _smeared(p: Smears, h: int, w: int) -> tuple[Floats, Floats]:
    """The lines, and the noise that says where they are."""
    along = (p.stretch, 1.0) if p.run == "across" else (1.0, p.stretch)
    lines = fractal(h, w, p.features, 3, p.seed, along)
    bend = fractal(h, w, 2, 2, p.seed + 7) * np.float32(p.bend)
    none = np.zeros((1, 1), np.float32)
    return warped(lines, none, bend) if p.run == "across" else warped(lines, bend, none), fractal(h, w, 2, 3, p.seed + 13)


def _wiped(lines: Floats, patch: Floats, level: float) -> Floats:
    """First the patches grow; then the lines themselves close."""
    low = -0.25 - 1.6 * max(level - 0.5, 0.0)
    return np.asarray(smooth(lines, low, low + 1) * smooth(patch, 1.0 - 3.0 * level, 1.6 - 3.0 * level), np.float32)


@lru_cache(256)
def _smear_level(p: Smears, h: int, w: int) -> float:
    lines, patch = _smeared(p, h, w)
    return level_for(p.cover, lambda t: float((_wiped(lines, patch, t) > SEEN).mean()), -0.5, 1.5)


def draw_smears(p: Smears, h: int, w: int) -> Floats:
    """Long noise, bent by a slow one, in patches; what is above `SEEN` of it is the share that is set."""
    return _wiped(*_smeared(p, h, w), _smear_level(p, *small_size(h, w)))


class Ramp(PatternParams):
    """Settings of ``ramp``."""

    kind: Literal["ramp"] = "ramp"
    way: Literal["down", "across", "back", "round"] = setting(
        "down",
        "Direction",
        "Dark to bright: downwards, to the right, there and back, or from the middle outwards.",
        choices={"down": "Downwards", "across": "To the right", "back": "There and back", "round": "Outwards"},
    )
    low: float = setting(0.0, "From", "Where it begins to rise.", ge=0, le=1)
    high: float = setting(1.0, "To", "Where it is full.", ge=0, le=1)
    ragged: float = setting(0.0, "Raggedness", "Noise moves it to and fro.", ge=0, le=1, drag=(0, 0.4))
    seed: int = seed()


def draw_ramp(p: Ramp, h: int, w: int) -> Floats:
    """Straight from one side to the other; one way it cannot meet itself where it repeats."""
    x = ((np.arange(w, dtype=np.float32) + np.float32(0.5)) / w)[None]
    y = ((np.arange(h, dtype=np.float32) + np.float32(0.5)) / h)[:, None]
    if p.way == "round":
        dx, dy = away(h, w, (0.5, 0.5))
        t: Floats = np.hypot(dx, dy) * np.float32(2)
    else:
        t = np.asarray({"down": y + 0 * x, "across": x + 0 * y, "back": 1 - np.abs(2 * y - 1) + 0 * x}[p.way], np.float32)
    if p.ragged > 0:
        t = t + fractal(h, w, 6, 4, p.seed) * np.float32(p.ragged)
    low, high = min(p.low, p.high), max(p.low, p.high)
    return np.asarray(np.clip((t - low) / max(high - low, 1e-3), 0, 1), np.float32)


class Stripes(PatternParams):
    """Settings of ``stripes``."""

    kind: Literal["stripes"] = "stripes"
    form: Literal["straight", "chevron"] = setting(
        "straight", "Form", "Straight, or folded to arrows.", choices={"straight": "Straight", "chevron": "Chevrons"}
    )
    across: int = setting(
        4, "Across", "How many lie side by side; below zero they lean the other way.", ge=-64, le=64, drag=(-16, 16)
    )
    down: int = setting(4, "Down", "How many lie one above another.", ge=0, le=64, drag=(0, 16))
    share: float = setting(0.5, "Width", "Of one against its pitch.", ge=0, le=1)
    soft: float = setting(0.0, "Softness", "Of the edges, against the pitch.", ge=0, le=1, drag=(0, 0.5))
    WHEN: ClassVar = {}


def draw_stripes(p: Stripes, h: int, w: int) -> Floats:
    """Whole numbers of stripes both ways, so that they always repeat; edges as exact as texels allow."""
    x = ((np.arange(w, dtype=np.float64) + 0.5) / w)[None]
    y = ((np.arange(h, dtype=np.float64) + 0.5) / h)[:, None]
    folds = max(abs(p.across), 1)
    t: Any
    if p.form == "chevron":
        t = p.down * y + np.abs(x * folds - np.floor(x * folds) - 0.5)
        gx, gy = folds / w, p.down / h
    else:
        t = p.across * x + p.down * y
        gx, gy = p.across / w, p.down / h
    if not p.across and not p.down:
        return np.full((h, w), np.float32(p.share > 0), np.float32)
    width = max(math.hypot(gx, gy), p.soft, 1e-9)
    d = np.abs(t - np.floor(t) - 0.5)
    return np.asarray(
        np.clip((p.share / 2 - d) / width + 0.5, 0, 1) if 0 < p.share < 1 else np.full((h, w), p.share), np.float32
    )


class Wear(PatternParams):
    """Settings of ``wear``."""

    kind: Literal["wear"] = "wear"
    width: float = setting(0.12, "Width", "How far in from the border, as a share of the shorter side.", ge=0, le=0.5)
    ragged: float = setting(0.6, "Raggedness", "How uneven its edge is.", ge=0, le=1)
    features: int = _features(9)
    soft: float = setting(0.3, "Softness", "Of the edge, against the width.", ge=0.01, le=1)
    seed: int = seed()


def draw_wear(p: Wear, h: int, w: int) -> Floats:
    """1 at the border, eaten inwards by noise."""
    short = min(h, w)
    x = np.minimum(np.arange(w) + 0.5, w - np.arange(w) - 0.5).astype(np.float32)[None] / short
    y = np.minimum(np.arange(h) + 0.5, h - np.arange(h) - 0.5).astype(np.float32)[:, None] / short
    edge = np.minimum(x, y) + fractal(h, w, p.features, 4, p.seed) * np.float32(p.ragged * p.width)
    # Whatever the noise does, the border itself is worn.
    full = smooth(np.minimum(x, y) - np.float32(0.5 / short), 0, max(p.width * 0.15, 1e-6))
    return np.asarray(1 - smooth(edge, p.width * (1 - p.soft) * 0.5, p.width * (1 + p.soft) * 0.5) * full, np.float32)


class Weave(PatternParams):
    """Settings of ``weave``."""

    kind: Literal["weave"] = "weave"
    bond: Literal["plain", "twill"] = setting(
        "plain", "Weave", "Over one under one, or over two under two.", choices={"plain": "Plain", "twill": "Twill"}
    )
    threads: int = setting(12, "Threads", "Across the shorter side.", ge=2, le=128, drag=(4, 64))
    thick: float = setting(0.8, "Thickness", "Of a thread against its pitch; what is left is open.", ge=0.05, le=1)
    seen: Literal["height", "cover"] = setting(
        "height",
        "Output",
        "How high the threads lie, or only where they are.",
        choices={"height": "Height", "cover": "Cover"},
    )


def draw_weave(p: Weave, h: int, w: int) -> Floats:
    """Two sets of round threads that pass over and under each other."""
    every = 4 if p.bond == "twill" else 2
    nx, ny = (max(every, round(n / every) * every) for n in counts(p.threads, h, w))
    u = ((np.arange(w, dtype=np.float32) + np.float32(0.5)) / w * nx + 0.5)[None]
    # Half a thread on: the border runs along threads, not between them.
    v = ((np.arange(h, dtype=np.float32) + np.float32(0.5)) / h * ny + 0.5)[:, None]
    i, j = np.floor(u).astype(int), np.floor(v).astype(int)
    half = np.float32(p.thick / 2)
    du, dv = np.abs(u - i - 0.5), np.abs(v - j - 0.5)
    # Coverage of a texel by each thread, and the round of its section.
    cu = np.clip((half - du) * w / nx + 0.5, 0, 1)
    cv = np.clip((half - dv) * h / ny + 0.5, 0, 1)
    if p.seen == "cover":
        return np.asarray(np.maximum(cu, cv), np.float32)
    upright = ((i % nx + j % ny) % every) < every // 2
    ru = np.sqrt(np.clip(1 - (du / half) ** 2, 0, 1)) * cu
    rv = np.sqrt(np.clip(1 - (dv / half) ** 2, 0, 1)) * cv
    # The upper thread bulges towards the middle of its crossing, the lower one dips.
    over, under = np.where(upright, ru * (1 - dv * dv), rv * (1 - du * du)), np.where(upright, rv, ru) * 0.45
    return np.asarray(np.maximum(over, under), np.float32)


PATTERNS = (
    Pattern(
        LayeredNoise,
        draw_noise,
        "Layered noise",
        "Hills within hills, or veins: breaks up what is too even.",
        usual(roughness=0.8),
    ),
    Pattern(
        Clouds,
        draw_clouds,
        "Clouds",
        "Soft patches that drift: grime, damp, uneven paint.",
        usual(colour=(0.22, 0.2, 0.16), haze=0.35, roughness=0.85),
    ),
    Pattern(Cells, draw_cells, "Cells", "Bumps, cracks or plates.", usual(height=0.25)),
    Pattern(
        Smears,
        draw_smears,
        "Smears",
        "What a cloth leaves on glass.",
        usual(haze=0.08, roughness=0.4),
    ),
    Pattern(
        Ramp,
        draw_ramp,
        "Ramp",
        "Rises from one side to the other, or from the middle outwards.",
        usual(opacity=0.0),
    ),
    Pattern(
        Stripes,
        draw_stripes,
        "Stripes and chevrons",
        "Straight, leaning, or folded to arrows.",
        usual(colour=(0.85, 0.62, 0.08), opacity=1.0, roughness=0.6),
    ),
    Pattern(Wear, draw_wear, "Edge wear", "Eats in from the border.", usual(opacity=0.0)),
    Pattern(
        Weave,
        draw_weave,
        "Weave",
        "Threads over and under each other: cloth, a cargo net's straps.",
        usual(colour=(0.5, 0.45, 0.36), opacity=1.0, roughness=0.9, height=0.3),
    ),
)

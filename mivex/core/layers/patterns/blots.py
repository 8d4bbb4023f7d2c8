"""Patterns of blots: stains, splashes, finger marks."""

import math
from typing import Literal

import numpy as np

from mivex.core.base.settings import setting
from mivex.core.base.types import Floats
from mivex.core.layers.patterns.base import (
    Pattern,
    PatternParams,
    away,
    fractal,
    marks,
    scattered,
    seed,
    smooth,
    usual,
)
from mivex.core.layers.patterns.marks import places, rounded


class Stain(PatternParams):
    """Settings of ``stain``."""

    kind: Literal["stain"] = "stain"
    part: Literal["whole", "rim", "middle"] = setting(
        "whole",
        "Output",
        "All of it, its dried rim, or the wet middle that stands highest in its centre.",
        choices={"whole": "All of it", "rim": "The rim", "middle": "The middle"},
    )
    count: int = setting(1, "Number", "How many; one lies in the middle.", ge=1, le=200, drag=(1, 20))
    size: float = setting(
        0.62, "Size", "Of the largest across, as a share of the shorter side.", ge=0.01, le=1, drag=(0.05, 0.9)
    )
    ragged: float = setting(0.3, "Raggedness", "How uneven its outline is.", ge=0, le=1)
    features: int = setting(5, "Lobes", "How many bays and tongues.", ge=1, le=64, drag=(1, 20))
    rim: float = setting(0.12, "Rim", "Width of the rim against the size.", ge=0.01, le=0.9, drag=(0.02, 0.5))
    soft: float = setting(0.04, "Softness", "Of the outline, against the size.", ge=0.002, le=1, drag=(0.005, 0.3))
    seed: int = seed()


def draw_stain(p: Stain, h: int, w: int) -> Floats:
    """Discs whose outline noise has moved; outline, rim and middle of one seed belong together."""
    rng = np.random.default_rng(p.seed)
    at = [(0.5, 0.5)] if p.count == 1 else [(float(x), float(y)) for x, y in scattered(rng, p.count)]
    rough = fractal(h, w, p.features, 5, p.seed + 3) * np.float32(p.ragged)
    inside = np.full((h, w), -9.0, np.float32)
    for k, place in enumerate(at):
        r = p.size / 2 * (1 if k == 0 else 0.25 + 0.75 * rng.random())
        dx, dy = away(h, w, place)
        np.maximum(inside, np.float32(1) - np.hypot(dx, dy) / np.float32(r), out=inside)
    inside += rough
    whole = smooth(inside, -p.soft, p.soft)
    if p.part == "whole":
        return whole
    rim = p.rim * 2
    if p.part == "middle":
        return np.asarray(np.sqrt(np.clip((inside - np.float32(rim * 0.5)) / np.float32(0.6), 0, 1)) * whole, np.float32)
    return np.asarray(whole * (1 - smooth(inside, rim * 0.35, rim)), np.float32)


class Splash(PatternParams):
    """Settings of ``splash``."""

    kind: Literal["splash"] = "splash"
    count: int = setting(3, "Number", "How many hits.", ge=1, le=100, drag=(1, 12))
    size: float = setting(
        0.22, "Size", "Of a hit across, as a share of the shorter side.", ge=0.005, le=1, drag=(0.02, 0.6)
    )
    flung: int = setting(40, "Droplets", "How many drops fly off each.", ge=0, le=400, drag=(0, 120))
    reach: float = setting(2.2, "Reach", "How far they fly, against the size.", unit="×", ge=0.5, le=8)
    drip: float = setting(0.4, "Drips", "How far it runs down.", ge=0, le=2, drag=(0, 1))
    seed: int = seed()


def draw_splash(p: Splash, h: int, w: int) -> Floats:
    """A blot with tongues, drops flung from it, and drips below it."""
    rng = np.random.default_rng(p.seed)
    rows: list[list[float]] = []
    for x, y in places(rng, p.count, h, w, even=True):
        r = p.size * (0.5 + 0.5 * rng.random()) / 2
        rows.append([x, y, x, y, r * 0.72, r * 0.72, 1.0, 1.0])
        for _ in range(14):
            a, far = rng.random() * math.tau, r * (0.5 + 0.7 * rng.random())
            rows.append(
                [x, y, x + math.cos(a) * far, y + math.sin(a) * far, r * 0.35, r * (0.06 + 0.14 * rng.random()), 1.0, 1.0]
            )
        for _ in range(p.flung):
            a, far = rng.random() * math.tau, r * (1 + (p.reach - 1) * rng.random() ** 2)
            px, py, s = x + math.cos(a) * far, y + math.sin(a) * far, r * (0.02 + 0.1 * rng.random() ** 2)
            rows.append([px, py, px + math.cos(a) * s * 2, py + math.sin(a) * s * 2, s, s * 0.5, 1.0, 1.0])
        for _ in range(4 if p.drip > 0 else 0):
            px, long = x + (rng.random() - 0.5) * r * 1.2, p.drip * (0.2 + 0.8 * rng.random()) * p.size * 2
            s = r * (0.05 + 0.07 * rng.random())
            rows += [[px, y, px, y + long, s * 1.3, s, 1.0, 1.0], [px, y + long, px, y + long, s * 1.5, s * 1.5, 1.0, 1.0]]
    return marks(h, w, rounded(rows, h, w))


class Fingers(PatternParams):
    """Settings of ``fingers``."""

    kind: Literal["fingers"] = "fingers"
    count: int = setting(5, "Number", "How many prints.", ge=0, le=60, drag=(0, 20))
    size: float = setting(0.16, "Size", "Length of one, as a share of the shorter side.", ge=0.01, le=1, drag=(0.05, 0.5))
    ridges: int = setting(16, "Ridges", "Across a print.", ge=2, le=40)
    clear: float = setting(0.7, "Clearness", "0 is a smudge, 1 shows every ridge.", ge=0, le=1)
    turn: float = setting(20.0, "Turned", "How far the hand leans.", unit="°", ge=-180, le=180)
    seed: int = seed()


def draw_fingers(p: Fingers, h: int, w: int) -> Floats:
    """Ovals crossed by loops of ridges, pressed unevenly."""
    rng = np.random.default_rng(p.seed)
    out: Floats = np.zeros((h, w), np.float32)
    rough = fractal(h, w, 14, 3, p.seed + 1)
    for place in scattered(rng, p.count):
        a = math.radians(p.turn + rng.normal(0, 14))
        press, lean = 0.6 + 0.4 * rng.random(), rng.normal(0, 0.25)
        long = np.float32(p.size / 2)
        # Only the rows and columns that the print can reach, round the back too.
        rows = np.arange(
            math.floor(float(place[1]) * h - float(long) * min(h, w) * 1.2),
            math.ceil(float(place[1]) * h + float(long) * min(h, w) * 1.2) + 1,
        )
        cols = np.arange(
            math.floor(float(place[0]) * w - float(long) * min(h, w) * 1.2),
            math.ceil(float(place[0]) * w + float(long) * min(h, w) * 1.2) + 1,
        )
        rows, cols = rows[:h], cols[:w]
        y = ((rows + 0.5) / h - place[1])[:, None] * (h / min(h, w)) / long
        x = ((cols + 0.5) / w - place[0])[None] * (w / min(h, w)) / long
        u = ((x * math.cos(a) - y * math.sin(a)) * 1.45).astype(np.float32)
        v = (x * math.sin(a) + y * math.cos(a)).astype(np.float32)
        n = rough[np.ix_(rows % h, cols % w)]
        oval = smooth(1 - np.hypot(u, v), 0.0, 0.45)
        # Loops round a core below the middle.
        loop = np.hypot(u + np.float32(lean) * v, (v - np.float32(0.25)) * np.float32(0.75)) + n * np.float32(0.05)
        ridge = 0.5 + 0.5 * np.cos(loop * np.float32(p.ridges * math.pi))
        print_ = (
            oval
            * press
            * (1 - p.clear + p.clear * smooth(np.asarray(ridge, np.float32), 0.25, 0.75))
            * np.clip(0.8 + n, 0, 1)
        )
        at = np.ix_(rows % h, cols % w)
        out[at] = np.maximum(out[at], print_)
    return out


PATTERNS = (
    Pattern(
        Stain,
        draw_stain,
        "Stain",
        "A ragged blot; its rim and its middle can be had apart.",
        usual(colour=(0.2, 0.15, 0.1), opacity=0.6, roughness=0.35),
    ),
    Pattern(
        Splash,
        draw_splash,
        "Splash",
        "A blot, drops flung from it, drips.",
        usual(colour=(0.25, 0.2, 0.15), opacity=0.85, roughness=0.3, height=0.08),
    ),
    Pattern(
        Fingers,
        draw_fingers,
        "Finger marks",
        "Ovals with ridges.",
        usual(haze=0.06, roughness=0.5),
    ),
)

"""Patterns of single marks: scratches, dust, drops, crystals, run-off.

Each mark's place, size and value come from a seeded generator, and its size is a share of the picture, so that a
larger picture shows the same marks more finely.
"""

import math
from functools import lru_cache
from typing import Literal

import numpy as np

from mivex.core.base.settings import setting
from mivex.core.base.types import Floats
from mivex.core.layers.patterns.base import (
    Pattern,
    PatternParams,
    cellular,
    fractal,
    level_for,
    marks,
    scattered,
    seed,
    small_size,
    smooth,
    usual,
)


class Scratches(PatternParams):
    """Settings of ``scratches``."""

    kind: Literal["scratches"] = "scratches"
    count: int = setting(60, "Number", "How many.", ge=0, le=4000, drag=(0, 400))
    length: float = setting(
        0.35, "Length", "Of the longest, as a share of the shorter side.", ge=0.005, le=3, drag=(0.02, 1)
    )
    width: float = setting(0.002, "Width", "Of the widest.", ge=0.0002, le=0.1, drag=(0.0005, 0.01), log=True)
    bend: float = setting(0.25, "Bend", "How far they leave the straight.", ge=0, le=2, drag=(0, 1))
    direction: float = setting(25.0, "Direction", "Which way most run; 0 is level.", unit="°", ge=-180, le=180)
    spread: float = setting(25.0, "Spread", "How far they stray from it; 90 is every way.", unit="°", ge=0, le=90)
    depth: float = setting(0.7, "Depth", "Of the faintest against the deepest: 1 makes all alike.", ge=0, le=1)
    seed: int = seed()


def _bent(
    rng: np.random.Generator,
    at: Floats,
    angle: float,
    length: float,
    bend: float,
    width: float,
    values: tuple[float, float],
    parts: int = 10,
) -> list[list[float]]:
    """One bent line as short straight ones, thin at both ends."""
    # One bend for the whole line: a hand or a grain of sand goes in an arc, it does not wobble.
    turn = (rng.random() - 0.5) * bend * 2
    x, y = float(at[0]), float(at[1])
    rows = []
    for k in range(parts):
        a = angle + turn * (k / parts - 0.5) * 2
        nx, ny = x + math.cos(a) * length / parts, y - math.sin(a) * length / parts
        r0, r1 = (width * math.sin(math.pi * (0.06 + 0.88 * t / parts)) for t in (k, k + 1))
        v0, v1 = (values[0] + (values[1] - values[0]) * t / parts for t in (k, k + 1))
        rows.append([x, y, nx, ny, r0, r1, v0, v1])
        x, y = nx, ny
    return rows


def rounded(rows: list[list[float]], h: int, w: int) -> Floats:
    """Ends given in shares of the shorter side, brought to shares of width and height."""
    short = min(h, w)
    table = np.array(rows, np.float64).reshape(-1, 8)
    table[:, [0, 2]] *= short / w
    table[:, [1, 3]] *= short / h
    return table  # type: ignore[return-value]


def places(rng: np.random.Generator, n: int, h: int, w: int, *, even: bool = False) -> Floats:
    """Places in shares of the shorter side."""
    at = scattered(rng, n) if even else rng.random((n, 2)).astype(np.float32)
    return np.asarray(at * np.array([w, h], np.float32) / min(h, w), np.float32)


def draw_scratches(p: Scratches, h: int, w: int) -> Floats:
    """Bent lines, thin at both ends."""
    rng = np.random.default_rng(p.seed)
    rows: list[list[float]] = []
    for at in places(rng, p.count, h, w):
        angle = math.radians(p.direction + rng.normal(0, 0.5) * p.spread) if p.spread < 90 else rng.random() * math.tau
        # Squared: many short ones and few long ones, as wear leaves them.
        size = 0.25 + 0.75 * rng.random() ** 2
        deep = 1 - (1 - p.depth) * rng.random() - p.depth * 0.2 * rng.random()
        rows += _bent(rng, at, angle, p.length * size, p.bend, p.width * (0.4 + 0.6 * rng.random()) / 2, (deep, deep * 0.7))
    return marks(h, w, rounded(rows, h, w))


class Dust(PatternParams):
    """Settings of ``dust``."""

    kind: Literal["dust"] = "dust"
    specks: int = setting(400, "Specks", "How many grains.", ge=0, le=20000, drag=(0, 2000))
    size: float = setting(
        0.004, "Size", "Of the largest, as a share of the shorter side.", ge=0.0002, le=0.1, drag=(0.001, 0.02), log=True
    )
    fibres: int = setting(12, "Fibres", "How many hairs among them.", ge=0, le=2000, drag=(0, 100))
    film: float = setting(0.35, "Film", "The haze that lies everywhere.", ge=0, le=1)
    seed: int = seed()


def draw_dust(p: Dust, h: int, w: int) -> Floats:
    """Grains and hairs over an uneven film."""
    rng = np.random.default_rng(p.seed)
    rows: list[list[float]] = []
    for x, y in places(rng, p.specks, h, w):
        # Cubed: dust is mostly fine; grains of the largest size are rare.
        r = p.size * (0.25 + 0.75 * rng.random() ** 3) / 2
        rows.append([x, y, x, y, r, r, *([0.4 + 0.6 * rng.random()] * 2)])
    for at in places(rng, p.fibres, h, w):
        v = 0.5 + 0.4 * rng.random()
        rows += _bent(rng, at, rng.random() * math.tau, p.size * (6 + 14 * rng.random()), 1.6, p.size * 0.16, (v, v), 8)
    out = marks(h, w, rounded(rows, h, w))
    if p.film > 0:
        haze = np.clip(fractal(h, w, 4, 5, p.seed + 5) * np.float32(0.5) + np.float32(0.5), 0, 1)
        out = np.maximum(out, haze * np.float32(p.film))
    return out


class Droplets(PatternParams):
    """Settings of ``droplets``."""

    kind: Literal["droplets"] = "droplets"
    count: int = setting(160, "Drops", "How many.", ge=0, le=5000, drag=(0, 600))
    size: float = setting(
        0.05, "Size", "Of the largest across, as a share of the shorter side.", ge=0.001, le=0.5, drag=(0.005, 0.15)
    )
    even: float = setting(0.3, "Evenness", "1 makes all as large as the largest.", ge=0, le=1)
    mist: int = setting(1200, "Condensation", "How many fine beads between them.", ge=0, le=30000, drag=(0, 5000))
    tail: float = setting(0.0, "Tails", "How far drops have run down.", ge=0, le=2, drag=(0, 0.6))
    seen: Literal["height", "cover"] = setting(
        "height", "Output", "How high they stand, or only where they are.", choices={"height": "Height", "cover": "Cover"}
    )
    seed: int = seed()


def draw_droplets(p: Droplets, h: int, w: int) -> Floats:
    """Domes of many sizes; fine beads keep to the gaps because the higher one stays."""
    rng = np.random.default_rng(p.seed)
    rows: list[list[float]] = []
    for x, y in places(rng, p.count, h, w, even=True):
        # Even drops lie apart (best candidates), since touching ones would have run together.
        part = p.even + (1 - p.even) * (0.12 + 0.88 * rng.random() ** 2)
        r = p.size * part / 2
        rows.append([x, y, x, y, r, r, part, part])
        if p.tail > 0 and rng.random() < 0.35 * part + 0.1:
            rows.append(
                [x, y, x + (rng.random() - 0.5) * r, y - p.tail * part * rng.random(), r * 0.7, r * 0.15, part * 0.6, 0.1]
            )
    for x, y in places(rng, p.mist, h, w):
        r = p.size * (0.03 + 0.06 * rng.random()) / 2
        rows.append([x, y, x, y, r, r, 0.25, 0.25])
    table = rounded(rows, h, w)
    if p.seen == "cover" and len(table):
        # As cover a small drop is as good as a large one: only the rim of the faintest stays soft.
        table[:, 6:] = np.minimum(table[:, 6:] * 8, 1)
    return marks(h, w, table, dome=p.seen == "height")


class Crystals(PatternParams):
    """Settings of ``crystals``."""

    kind: Literal["crystals"] = "crystals"
    features: int = setting(36, "Features", "Crystals across the shorter side.", ge=2, le=128, drag=(6, 90))
    cover: float = setting(0.4, "Cover", "The share of the picture that is crusted.", ge=0, le=1)
    patch: int = setting(3, "Patches", "How many crusts across.", ge=1, le=32)
    seen: Literal["height", "cover"] = setting(
        "height", "Output", "How high they stand, or only where they are.", choices={"height": "Height", "cover": "Cover"}
    )
    seed: int = seed()


def _grown(crust: Floats, which: Floats, second: Floats, near: Floats, level: float) -> Floats:
    """Where crystals stand: each grows where the crust is denser than its own luck; last of all the gaps close."""
    # Beyond full density the cracks between crystals close, so that a cover of 1 is reached.
    gap = max(0.25 * (1 - max(level - 1.0, 0.0)), 0.004)
    dense = smooth(crust, -level - 0.25, -level + 0.35)
    return np.asarray(smooth(dense - which * np.float32(0.85), 0.0, 0.12) * smooth(second - near, 0.0, gap), np.float32)


@lru_cache(256)
def _crystal_level(p: Crystals, h: int, w: int) -> float:
    near, second, which = cellular(h, w, p.features, 0.9, p.seed)
    crust = fractal(h, w, p.patch, 5, p.seed + 3)
    return level_for(p.cover, lambda t: float(_grown(crust, which, second, near, t).mean()), -3.0, 3.0)


def draw_crystals(p: Crystals, h: int, w: int) -> Floats:
    """Facets round scattered points, in crusts that thin out towards their rims; their mean is the share that is set."""
    near, second, which = cellular(h, w, p.features, 0.9, p.seed)
    level = _crystal_level(p.model_copy(update={"seen": "cover"}), *small_size(h, w))
    there = _grown(fractal(h, w, p.patch, 5, p.seed + 3), which, second, near, level)
    if p.seen == "cover":
        return there
    # The two distances differ most at a crystal's middle; its own number keeps neighbours from being level.
    facet = np.clip((second - near) * np.float32(0.9) + which * np.float32(0.35), 0, 1)
    return np.asarray(there * facet, np.float32)


class Streaks(PatternParams):
    """Settings of ``streaks``."""

    kind: Literal["streaks"] = "streaks"
    count: int = setting(50, "Number", "How many runs.", ge=0, le=2000, drag=(0, 200))
    length: float = setting(
        0.6, "Length", "Of the longest, as a share of the shorter side.", ge=0.01, le=4, drag=(0.05, 1.5)
    )
    width: float = setting(0.02, "Width", "Of the widest where it begins.", ge=0.0005, le=0.3, drag=(0.002, 0.08))
    waver: float = setting(0.15, "Waviness", "How far they leave the plumb line.", ge=0, le=1, drag=(0, 0.5))
    seed: int = seed()


def draw_streaks(p: Streaks, h: int, w: int) -> Floats:
    """Runs that thin out and pale downwards."""
    rng = np.random.default_rng(p.seed)
    rows: list[list[float]] = []
    for at in places(rng, p.count, h, w):
        x, y = float(at[0]), float(at[1])
        size, v = 0.2 + 0.8 * rng.random(), 0.35 + 0.65 * rng.random()
        parts = 12
        step = p.length * size / parts
        r = p.width * (0.2 + 0.8 * rng.random()) / 2
        for k in range(parts):
            nx = x + (rng.random() - 0.5) * p.waver * step
            rows.append(
                [
                    x,
                    y,
                    nx,
                    y + step,
                    r * (1 - 0.75 * k / parts),
                    r * (1 - 0.75 * (k + 1) / parts),
                    v * (1 - k / parts),
                    v * (1 - (k + 1) / parts),
                ]
            )
            x, y = nx, y + step
    return marks(h, w, rounded(rows, h, w), dome=True)


PATTERNS = (
    Pattern(
        Scratches,
        draw_scratches,
        "Scratches",
        "Fine lines, thin at both ends.",
        usual(haze=0.12, roughness=0.6),
    ),
    Pattern(
        Dust,
        draw_dust,
        "Dust",
        "Grains, hairs and a film.",
        usual(colour=(0.78, 0.76, 0.72), haze=0.4, roughness=0.95),
    ),
    Pattern(
        Droplets,
        draw_droplets,
        "Droplets",
        "Drops and the mist between them; with tails where they have run.",
        usual(roughness=0.03, height=0.35),
    ),
    Pattern(
        Crystals,
        draw_crystals,
        "Salt crystals",
        "A crust of facets, thinning out at its rims.",
        usual(colour=(0.93, 0.94, 0.95), opacity=0.9, roughness=0.55, height=0.2),
    ),
    Pattern(
        Streaks,
        draw_streaks,
        "Run-off",
        "Runs that pale downwards, as below a bolt.",
        usual(colour=(0.3, 0.17, 0.09), opacity=0.6, roughness=0.7),
    ),
)

"""Patterns made to follow a line, which runs through their middle: a weld, and what hangs from an edge."""

from typing import Literal

import numpy as np

from mivex.core.base.settings import setting
from mivex.core.base.types import Floats
from mivex.core.layers.patterns.base import Pattern, PatternParams, counts, fractal, marks, seed, smooth, usual


class Weld(PatternParams):
    """Settings of ``weld``."""

    kind: Literal["weld"] = "weld"
    ripples: int = setting(5, "Ripples", "Into the shorter side.", ge=1, le=64, drag=(2, 24))
    depth: float = setting(0.5, "Depth", "How far the hollows between ripples go down.", ge=0, le=1)
    bow: float = setting(
        0.6, "Bow", "How far a ripple's middle is ahead of its ends, in ripples.", ge=-2, le=2, drag=(0, 1)
    )
    uneven: float = setting(0.3, "Unevenness", "Of the spacing and of the width.", ge=0, le=1)
    seed: int = seed()


def draw_weld(p: Weld, h: int, w: int) -> Floats:
    """A bead, domed across, of ripples that lie over one another."""
    ripples = counts(p.ripples, h, w)[0]
    x = ((np.arange(w, dtype=np.float32) + np.float32(0.5)) / w)[None]
    y = ((np.arange(h, dtype=np.float32) + np.float32(0.5)) / h)[:, None] * 2 - 1
    # One row of noise serves the whole width of the bead: its sides swell and shrink, they do not crumble.
    noise = fractal(h, w, max(2, p.ripples / 2), 2, p.seed)
    along = noise[h // 2][None]
    half = np.float32(0.8) * (1 - np.float32(0.25 * p.uneven) * (1 + along))
    d = np.clip(np.abs(y) / half, 0, 1)
    phase = x * ripples - np.float32(p.bow) * (1 - d * d) + np.float32(0.35 * p.uneven) * noise
    t = phase - np.floor(phase)
    # Rises slowly from the ripple before and falls steeply to the next.
    ripple = smooth(t, 0.0, 0.8) * (1 - smooth(t, 0.8, 1.0))
    return np.asarray(np.sqrt(1 - d * d) * (1 - np.float32(p.depth) * (1 - ripple)), np.float32)


class Hanging(PatternParams):
    """Settings of ``hanging``."""

    kind: Literal["hanging"] = "hanging"
    form: Literal["threads", "drips"] = setting(
        "threads",
        "Form",
        "Torn threads that curl and thin out, or runs that end in a drop.",
        choices={"threads": "Frayed threads", "drips": "Drips"},
    )
    count: int = setting(14, "Number", "Into the shorter side.", ge=1, le=400, drag=(3, 60))
    length: float = setting(0.8, "Length", "Of the longest, as a share of the room below the line.", ge=0.02, le=1)
    width: float = setting(0.02, "Width", "As a share of the shorter side.", ge=0.001, le=0.3, drag=(0.004, 0.1))
    curl: float = setting(0.4, "Curl", "How far they leave the plumb line.", ge=0, le=1)
    seed: int = seed()


def draw_hanging(p: Hanging, h: int, w: int) -> Floats:
    """Threads or runs that begin at the middle and go down."""
    rng = np.random.default_rng(p.seed)
    many = counts(p.count, h, w)[0]
    short = min(h, w)
    right, down = short / w, short / h  # marks are given in shares of their own side
    room = 0.5 / down * 0.96 - p.width
    rows: list[list[float]] = []
    for k in range(many):
        x, y = (k + 0.15 + 0.7 * rng.random()) / many, 0.5
        long = max(room, 0.02) * p.length * (0.3 + 0.7 * rng.random())
        r = p.width * (0.6 + 0.4 * rng.random()) / 2
        parts, lean = 8, (rng.random() - 0.5) * p.curl
        drips = p.form == "drips"
        if drips:
            lean *= 0.2
        for i in range(parts):
            lean += (rng.random() - 0.5) * p.curl * (0.1 if drips else 0.8)
            step = long / parts
            nx, ny = x + lean * step * right, y + step * down
            thin = (0.45, 0.45) if drips else (1 - 0.7 * i / parts, 1 - 0.7 * (i + 1) / parts)
            if drips and i == 0:
                thin = (1.3, 0.45)  # it widens where it leaves the line
            rows.append([x, y, nx, ny, r * thin[0], r * thin[1], 1.0, 1.0])
            x, y = nx, ny
        if drips:
            rows.append([x, y, x, y, r, r, 1.0, 1.0])
    return marks(h, w, rows, dome=p.form == "drips")


PATTERNS = (
    Pattern(Weld, draw_weld, "Weld", "A bead of ripples, for a line to be followed.", usual(roughness=0.45, height=0.35)),
    Pattern(
        Hanging,
        draw_hanging,
        "Threads and drips",
        "Hang from the middle down: from a torn edge, or a line that has run.",
        usual(opacity=1.0),
    ),
)

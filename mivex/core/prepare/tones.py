"""Steps ``curve``, ``threshold`` and ``smoothstep``: reshape one channel's values.

References
----------
Fritsch and Butland (1984), *A Method for Constructing Local Monotone Piecewise
Cubic Interpolants*: a curve through the points that never overshoots them. The
slope at a point is the weighted harmonic mean of the slopes of the chords on
either side (0 where they differ in sign); at the ends it is the three-point
formula, held to keep the shape. It is what SciPy's ``PchipInterpolator`` uses.
"""

import itertools
from typing import Annotated, Literal

import numpy as np
from pydantic import AfterValidator

from mivex.core.base.settings import setting
from mivex.core.base.types import Floats
from mivex.core.prepare.base import Context, Step, StepParams, Surface
from mivex.core.prepare.levels import CHANNEL_WORDS, Channel, reshaped


def _in_order(points: tuple[tuple[float, float], ...]) -> tuple[tuple[float, float], ...]:
    if len(points) < 2:
        raise ValueError("a curve needs at least two points")
    if any(b[0] <= a[0] for a, b in itertools.pairwise(points)):
        raise ValueError("a curve's points must stand from left to right")
    if not all(0 <= v <= 1 for p in points for v in p):
        raise ValueError("a curve's points must lie between 0 and 1")
    return points


Points = Annotated[tuple[tuple[float, float], ...], AfterValidator(_in_order)]
"""Points (in, out) of a curve from left to right, each in [0, 1]."""
STRAIGHT = ((0.0, 0.0), (1.0, 1.0))


class Curve(StepParams):
    """Settings of ``curve``."""

    step: Literal["curve"] = "curve"
    channel: Channel = setting("alpha", "Channel", "The channel that is reshaped.", choices=CHANNEL_WORDS)
    points: Points = setting(
        STRAIGHT,
        "Curve",
        "Values from left to right become the height of the curve; click to "
        "add a point, drag it out of the frame to remove it.",
        widget="curve",
    )


class Threshold(StepParams):
    """Settings of ``threshold``."""

    step: Literal["threshold"] = "threshold"
    channel: Channel = setting("alpha", "Channel", "The channel that is split.", choices=CHANNEL_WORDS)
    at: float = setting(0.5, "Threshold", "From this value on it becomes 1, below it 0: a hard edge.", ge=0, le=1)


class Smoothstep(StepParams):
    """Settings of ``smoothstep``."""

    step: Literal["smoothstep"] = "smoothstep"
    channel: Channel = setting("alpha", "Channel", "The channel that is reshaped.", choices=CHANNEL_WORDS)
    low: float = setting(0.0, "Low", "Becomes 0; raise it to eat into soft parts.", ge=0, le=1)
    high: float = setting(1.0, "High", "Becomes 1; lower it to fill soft parts.", ge=0, le=1)


def through(points: tuple[tuple[float, float], ...], values: Floats) -> Floats:
    """The curve through ``points`` at ``values``; level beyond its ends. 4096 steps, straight in between."""
    from scipy.interpolate import PchipInterpolator  # slow to import

    x, y = np.array(points, np.float64).T
    at = np.linspace(0, 1, 4097)
    table = PchipInterpolator(x, y)(np.clip(at, x[0], x[-1])).clip(0, 1).astype(np.float32)
    t = np.clip(values, 0, 1) * np.float32(4096)
    k = np.minimum(t.astype(np.int32), 4095)
    low = table[k]
    return low + (table[k + 1] - low) * (t - k.astype(np.float32))


def run_curve(surface: Surface, params: Curve, context: Context) -> Surface:
    """Send a channel through the curve; the straight one changes nothing."""
    if params.points == STRAIGHT:
        return surface
    return reshaped(surface, params.channel, lambda v: through(params.points, v))


def run_threshold(surface: Surface, params: Threshold, context: Context) -> Surface:
    """1 where the value reaches ``at``, else 0."""
    return reshaped(surface, params.channel, lambda v: (v >= np.float32(params.at)).astype(np.float32))


def run_smoothstep(surface: Surface, params: Smoothstep, context: Context) -> Surface:
    """``t²·(3 − 2t)`` with ``t = clip((v − low)/(high − low))``; a hard step where ``high ≤ low``."""

    def shape(v: Floats) -> Floats:
        span = params.high - params.low
        if span < 1e-6:
            return (v >= np.float32(params.high)).astype(np.float32)
        t = np.clip((v - np.float32(params.low)) / np.float32(span), 0, 1)
        return t * t * (3 - 2 * t)

    return reshaped(surface, params.channel, shape)


STEP = (
    Step(Curve, run_curve, "Curve", "Bends alpha or colour along a curve drawn by hand.", "alpha"),
    Step(Threshold, run_threshold, "Threshold", "Makes every value 0 or 1: a hard edge.", "alpha"),
    Step(Smoothstep, run_smoothstep, "Smoothstep", "Stretches a range of values with gentle ends.", "alpha"),
)

"""Curves and ramps over a life: points between which a value runs straight or smoothly.

Smooth ones are monotone piecewise cubics (Fritsch and Carlson 1980): they pass through their points and never beyond them.
"""

from functools import lru_cache
from itertools import pairwise
from typing import Annotated

import numpy as np
from pydantic import AfterValidator, Field, model_validator

from mivex.core.base.messages import Message
from mivex.core.base.settings import Frozen, Rgb
from mivex.core.base.types import Doubles

SAMPLES = 1025
"""Values that a curve is handed to kernels as; between them it is straight."""
MOST_POINTS = 64
STEP = 1e-9
"""Share of a life that a step takes where two points stand at one place."""
LARGEST = 10000.0
"""Largest value of a curve, either way."""


def _rising(points: tuple[tuple[float, float], ...]) -> tuple[tuple[float, float], ...]:
    if not 1 <= len(points) <= MOST_POINTS:
        raise ValueError(Message("a curve has 1 to {most_points} points", most_points=MOST_POINTS))
    if any(b[0] < a[0] for a, b in pairwise(points)) or not all(0 <= x <= 1 for x, _ in points):
        raise ValueError("the points of a curve must rise from 0 to 1")
    if not all(abs(y) <= LARGEST for _, y in points):
        raise ValueError(Message("the values of a curve lie between −{largest:g} and {largest:g}", largest=LARGEST))
    return points


class Curve(Frozen):
    """A value over a life, from birth at 0 to death at 1. With one point it is the same throughout."""

    points: Annotated[tuple[tuple[float, float], ...], AfterValidator(_rising)] = ((0.0, 1.0),)
    smooth: bool = Field(True, description="Smooth between the points, or straight.")

    def at(self, share: Doubles | float) -> Doubles:
        """Its value at shares of a life; before the first point and after the last it holds."""
        x, y = _apart(self.points)
        t = np.clip(np.asarray(share, np.float64), x[0], x[-1])
        if len(x) == 1:
            return np.full_like(t, y[0])
        if not self.smooth or len(x) == 2:
            return np.asarray(np.interp(t, x, y))
        from scipy.interpolate import PchipInterpolator

        return np.asarray(PchipInterpolator(x, y)(t))

    @property
    def table(self) -> Doubles:
        """Its values at `SAMPLES` even places; kept, not to be changed."""
        return _table(self)

    def quick(self, share: Doubles) -> Doubles:
        """As `at`, of many at once: smooth ones straight between the table's values."""
        if not self.smooth or len(self.points) < 3:
            return self.at(share)
        return np.asarray(np.interp(share, _EVEN, _table(self)))

    @property
    def steady(self) -> bool:
        """Whether every point has the same value."""
        return all(y == self.points[0][1] for _, y in self.points)

    def integral(self, to: Doubles | float) -> Doubles:
        """Its integral from 0 to shares of a life."""
        grid = np.linspace(0, 1, 4097)
        values = self.at(grid)
        total = np.concatenate([[0.0], np.cumsum((values[1:] + values[:-1]) / 2 * np.diff(grid))])
        return np.asarray(np.interp(np.asarray(to, np.float64), grid, total))


_EVEN = np.linspace(0, 1, SAMPLES)


@lru_cache(512)
def _table(curve: Curve) -> Doubles:
    return curve.at(_EVEN)


def _apart(points: tuple[tuple[float, float], ...]) -> tuple[Doubles, Doubles]:
    """The points' places and values; of several at one place the last counts from there on, in a step."""
    x, y = (np.array(v, np.float64) for v in zip(*points, strict=True))
    for k in range(1, len(x)):
        if x[k] <= x[k - 1]:
            x[k] = x[k - 1] + STEP
    return x, y


class Stop(Frozen):
    """A colour at a place of a ramp, as a display value."""

    at: float = Field(0.0, ge=0, le=1)
    colour: Rgb = (1.0, 1.0, 1.0)


class Ramp(Frozen):
    """A colour over a life, mixed in linear light. With one stop it is the same throughout."""

    stops: tuple[Stop, ...] = (Stop(),)

    @model_validator(mode="after")
    def _rising(self) -> "Ramp":
        if not 1 <= len(self.stops) <= MOST_POINTS:
            raise ValueError(Message("a ramp has 1 to {most_points} stops", most_points=MOST_POINTS))
        if any(b.at < a.at for a, b in pairwise(self.stops)):
            raise ValueError("the stops of a ramp must rise")
        return self

    def at(self, share: Doubles | float) -> Doubles:
        """Linear colours at shares of a life, (…, 3)."""
        from mivex.core.pixels.colour import to_linear

        x = np.array([s.at for s in self.stops])
        rgb = to_linear(np.array([s.colour for s in self.stops], np.float32)).astype(np.float64)
        t = np.asarray(share, np.float64)
        return np.stack([np.interp(t, x, rgb[:, k]) for k in range(3)], axis=-1)

    @property
    def table(self) -> Doubles:
        """Its colours at `SAMPLES` even places, (n, 3)."""
        return self.at(np.linspace(0, 1, SAMPLES))

    @property
    def steady(self) -> bool:
        """Whether every point has the same value."""
        return all(s.colour == self.stops[0].colour for s in self.stops)


PRESETS: dict[str, tuple[tuple[tuple[float, float], ...], bool]] = {
    "Steady": (((0.0, 1.0),), True),
    "Rises": (((0.0, 0.0), (1.0, 1.0)), False),
    "Falls": (((0.0, 1.0), (1.0, 0.0)), False),
    "In and out": (((0.0, 0.0), (0.15, 1.0), (0.7, 1.0), (1.0, 0.0)), True),
    "Quick in, slow out": (((0.0, 0.0), (0.05, 1.0), (1.0, 0.0)), True),
    "Swells": (((0.0, 0.2), (0.3, 0.8), (1.0, 1.0)), True),
    "Pulse": (((0.0, 0.0), (0.25, 1.0), (0.5, 0.0), (0.75, 1.0), (1.0, 0.0)), True),
}
"""Beginnings for a curve, by name."""

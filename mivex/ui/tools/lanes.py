"""Lanes of a life: what each shows, what it is edited by, and where it lies in the chart."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from mivex.core.base.messages import Message
from mivex.core.motion.curves import Curve, Ramp
from mivex.core.motion.model import Emitter
from mivex.core.motion.simulate import Particles


@dataclass(frozen=True)
class Lane:
    """One thing that changes over a particle's life.

    Attributes
    ----------
    key, title : str
        Setting of `Life`; its name.
    born : str
        Setting of `Birth` that it begins with: the band at its left end; empty: none.
    top : float
        Value at the top of the lane as it is drawn first; curves may go beyond.
    low : float
        Value at its foot.
    usual : Curve or Ramp
        What a new lane begins with.
    now : callable
        ``now(particles, i)``: the value of a particle, in words.
    """

    key: str
    title: str
    born: str
    low: float
    top: float
    usual: Curve | Ramp
    now: Callable[[Particles, int], str]


def _curve(*points: tuple[float, float]) -> Curve:
    return Curve(points=points)


def _rgb(p: Particles, i: int) -> str:
    from mivex.core.pixels.colour import hex_of, to_display

    r, g, b = (float(v) for v in to_display(p.tint[i].clip(0, 1).astype("float32")))
    return hex_of((r, g, b))


LANES: tuple[Lane, ...] = (
    Lane(
        "size",
        "Size",
        "width",
        0.0,
        2.0,
        _curve((0.0, 0.5), (1.0, 1.5)),
        lambda p, i: Message("{size:.3f} m", size=p.size[i, 0]),
    ),
    Lane(
        "opacity",
        "Opacity",
        "opacity",
        0.0,
        1.0,
        _curve((0.0, 0.0), (0.15, 1.0), (0.7, 1.0), (1.0, 0.0)),
        lambda p, i: Message("{opacity:.2f}", opacity=p.opacity[i]),
    ),
    Lane("tint", "Tint", "tint", 0.0, 1.0, Ramp(), _rgb),
    Lane(
        "erosion",
        "Erosion",
        "",
        0.0,
        1.0,
        _curve((0.0, 0.0), (0.3, 0.0), (1.0, 1.0)),
        lambda p, i: Message("{erosion:.2f}", erosion=p.erosion[i]),
    ),
    Lane(
        "spin",
        "Spin",
        "spin",
        -1.0,
        2.0,
        _curve((0.0, 1.0), (1.0, 0.2)),
        lambda p, i: Message("{turn:.0f}°", turn=p.turn[i]),
    ),
    Lane(
        "speed_x",
        "Speed across",
        "speed",
        -1.0,
        2.0,
        _curve((0.0, 1.0), (1.0, 0.5)),
        lambda p, i: Message("{velocity:+.2f} m/s", velocity=p.velocity[i, 0]),
    ),
    Lane(
        "speed_y",
        "Speed up",
        "speed",
        -1.0,
        2.0,
        _curve((0.0, 1.0), (1.0, 0.5)),
        lambda p, i: Message("{velocity:+.2f} m/s", velocity=p.velocity[i, 1]),
    ),
    Lane(
        "speed_z",
        "Speed towards",
        "speed",
        -1.0,
        2.0,
        _curve((0.0, 1.0), (1.0, 0.5)),
        lambda p, i: Message("{velocity:+.2f} m/s", velocity=p.velocity[i, 2]),
    ),
    Lane("push", "Push", "", 0.0, 2.0, _curve((0.0, 0.0), (1.0, 1.0)), lambda p, i: ""),
    Lane(
        "frame",
        "Frame",
        "",
        0.0,
        1.0,
        _curve((0.0, 0.0), (1.0, 1.0)),
        lambda p, i: Message("{frame:.2f}", frame=p.frame[i]),
    ),
)
"""Every lane there may be, in their order."""
BY_KEY = {lane.key: lane for lane in LANES}


def lanes_of(emitter: Emitter) -> list[Lane]:
    """The lanes that a part has: those that do something."""
    return [lane for lane in LANES if getattr(emitter.life, lane.key) is not None]


def span_of(lane: Lane, curve: Any) -> tuple[float, float]:
    """Least and greatest value that a lane has to show."""
    if not isinstance(curve, Curve):
        return 0.0, 1.0
    values = [y for _, y in curve.points]
    return min(lane.low if lane.low < 0 and min(values) < 0 else 0.0, *values), max(
        1.0 if max(values) <= 1.0 else lane.top, *values
    )


def moved(curve: Curve, index: int, x: float, y: float) -> Curve:
    """A curve with a point dragged; it stays between its neighbours."""
    points = list(curve.points)
    low = points[index - 1][0] if index else 0.0
    high = points[index + 1][0] if index + 1 < len(points) else 1.0
    points[index] = (round(min(max(x, low), high), 4), round(y, 4))
    return curve.model_copy(update={"points": tuple(points)})


def added(curve: Curve, x: float, y: float) -> tuple[Curve, int]:
    """A curve with one more point, and its number."""
    points = list(curve.points)
    at = sum(p[0] <= x for p in points)
    points.insert(at, (round(min(max(x, 0.0), 1.0), 4), round(y, 4)))
    return curve.model_copy(update={"points": tuple(points)}), at


def without(curve: Curve, index: int) -> Curve:
    """A curve with a point less; the last one stays."""
    points = [p for k, p in enumerate(curve.points) if k != index]
    return curve.model_copy(update={"points": tuple(points)}) if points else curve

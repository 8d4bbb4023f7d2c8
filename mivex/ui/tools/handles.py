"""Handles of the active step in the flat proof: where a fall-off, a text or a shape lies; and the brush."""

import math
from dataclasses import dataclass
from typing import Any

from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QColor, QPainter, QPen

from mivex.core.picture.texture import Texture
from mivex.core.prepare.base import StepParams
from mivex.core.prepare.falloff import FallOffFields
from mivex.core.proof.flat import full_size
from mivex.ui import theme

REACH = 10.0
"""How near the pointer must be to take a handle, pixels."""


@dataclass(frozen=True)
class Frame:
    """Where the frame that a step works in lies on the screen.

    Attributes
    ----------
    left, top, width, height : float
        Pixels.
    pivot : (x, y)
        Share of width and height.
    """

    left: float
    top: float
    width: float
    height: float
    pivot: tuple[float, float]

    @classmethod
    def of(cls, step_input: Texture, shown: Texture, left: float, top: float, zoom: float) -> "Frame":
        """The input's frame, found by the pivot, which trimming and padding keep in place."""
        w, h = full_size(shown)
        wide = w * zoom * step_input.extent[0] / shown.extent[0]
        high = h * zoom * step_input.extent[1] / shown.extent[1]
        px, py = left + shown.pivot[0] * w * zoom, top + shown.pivot[1] * h * zoom
        return cls(px - step_input.pivot[0] * wide, py - step_input.pivot[1] * high, wide, high, step_input.pivot)

    @property
    def short(self) -> float:
        """Shorter side of the frame in pixels of the screen."""
        return min(self.width, self.height)

    def spot(self, x: float, y: float) -> QPointF:
        """Pixels of a place given as shares from the pivot."""
        return QPointF(self.left + (self.pivot[0] + x) * self.width, self.top + (self.pivot[1] + y) * self.height)

    def share(self, at: QPointF) -> tuple[float, float]:
        """The inverse of `spot`."""
        return ((at.x() - self.left) / self.width - self.pivot[0], (at.y() - self.top) / self.height - self.pivot[1])

    def whole(self, at: QPointF) -> tuple[float, float]:
        """Shares of width and height, from the top left corner."""
        return (at.x() - self.left) / self.width, (at.y() - self.top) / self.height


def has_handles(step: StepParams | None) -> bool:
    """Whether a step is placed in the picture."""
    if step is None or not step.on:
        return False
    if step.step == "add-tint":
        return bool(getattr(step, "mask", "") == "fall-off")
    return isinstance(step, FallOffFields) or step.step in ("text", "shape")


def _arms(step: Any, frame: Frame) -> tuple[QPointF, QPointF, QPointF]:
    """Centre, and the ends of the two half axes: radius along the turned x, and along the turned y."""
    c = frame.spot(step.x, step.y)
    a = math.radians(getattr(step, "angle", 0.0))
    if isinstance(step, FallOffFields):
        r = step.radius * frame.short
        wide = r * (step.stretch if step.shape != "linear" else 1.0)
    else:
        r = step.size * frame.height / 2
        wide = r if step.step == "text" else step.size * frame.width / 2
    return (c, c + QPointF(math.cos(a), math.sin(a)) * wide, c + QPointF(-math.sin(a), math.cos(a)) * r)


def grip_at(step: Any, frame: Frame, at: QPointF) -> str:
    """Which handle lies under the pointer: ``move``, ``wide``, ``high`` or none."""
    c, wide, high = _arms(step, frame)
    spots = [(high, "high"), (wide, "wide"), (c, "move")]
    return next((name for spot, name in spots if (spot - at).manhattanLength() < 2 * REACH), "")


def dragged(step: Any, frame: Frame, grip: str, at: QPointF) -> dict[str, float]:
    """New settings when a handle is dragged to a place."""
    if grip == "move":
        x, y = frame.share(at)
        return {"x": round(min(max(x, -2), 2), 4), "y": round(min(max(y, -2), 2), 4)}
    c, _, _ = _arms(step, frame)
    d = at - c
    length = max(math.hypot(d.x(), d.y()), 1.0)
    if not isinstance(step, FallOffFields):
        full = frame.height if step.step == "text" or grip == "high" else frame.width
        return {"size": round(min(max(2 * length / full, 0.005), 4), 4)}
    turn = math.degrees(math.atan2(d.y(), d.x())) - (90 if grip == "high" else 0)
    turn = (turn + 180) % 360 - 180
    # Near the upright, the handle snaps: most fall-offs are not turned.
    near = round(turn / 90) * 90
    angle = float(near) if abs(turn - near) < 4 else round(turn, 1)
    if grip == "high" or step.shape == "linear":
        return {"radius": round(min(max(length / frame.short, 0.001), 4), 4), "angle": angle}
    return {"stretch": round(min(max(length / (step.radius * frame.short), 0.02), 50), 4), "angle": angle}


def draw_handles(p: QPainter, step: Any, frame: Frame) -> None:
    """Outline of what the step covers, with its handles."""
    c, wide, high = _arms(step, frame)
    p.setRenderHint(QPainter.RenderHint.Antialiasing)
    p.setBrush(Qt.BrushStyle.NoBrush)
    a = getattr(step, "angle", 0.0)
    rx, ry = math.hypot(wide.x() - c.x(), wide.y() - c.y()), math.hypot(high.x() - c.x(), high.y() - c.y())
    p.save()
    p.translate(c)
    p.rotate(a)
    linear = isinstance(step, FallOffFields) and step.shape == "linear"
    for colour, pen in ((theme.CASING, 3.0), (theme.CHOSEN, 1.3)):
        p.setPen(QPen(QColor(colour), pen))
        if linear:
            for y in (-ry, 0.0, ry):
                p.drawLine(QPointF(-frame.short, y), QPointF(frame.short, y))
        elif isinstance(step, FallOffFields) and step.shape == "radial":
            p.drawEllipse(QPointF(0, 0), rx, ry)
            inner = 1 - step.soft
            if 0.02 < inner < 0.98:
                p.setPen(QPen(QColor(colour), pen * 0.7, Qt.PenStyle.DashLine))
                p.drawEllipse(QPointF(0, 0), rx * inner, ry * inner)
        else:
            p.drawRect(QRectF(-rx, -ry, 2 * rx, 2 * ry))
    p.restore()
    p.setPen(QPen(QColor("#101010"), 1))
    p.setBrush(QColor(theme.CHOSEN))
    p.drawEllipse(c, 5, 5)
    for spot in (wide, high) if not linear else (high,):
        p.drawRect(QRectF(spot.x() - 4, spot.y() - 4, 8, 8))


def draw_pivot(p: QPainter, at: QPointF) -> None:
    """A small cross where the pivot stands, if it is not the middle."""
    for colour, pen in ((theme.CASING, 3.0), (theme.TEXT, 1.2)):
        p.setPen(QPen(QColor(colour), pen))
        p.drawLine(at + QPointF(-7, 0), at + QPointF(7, 0))
        p.drawLine(at + QPointF(0, -7), at + QPointF(0, 7))

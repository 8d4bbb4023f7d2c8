"""The field of a drawn editor: its box, its scale, how near counts as taken."""

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QColor, QPainter, QPen, QPolygonF
from PySide6.QtWidgets import QWidget

from mivex.ui import theme
from mivex.ui.fields.line import Held

Counts = NDArray[np.int64]


GRIP = 9.0


def draw_histogram(p: QPainter, box: QRectF, counts: Counts | None, colour: str = "#6c6c6c") -> None:
    """Columns of a histogram; the ends, often huge, do not squash the rest."""
    if counts is None or counts.sum() == 0:
        return
    inner = counts[1:-1]
    top = max(float(np.percentile(inner, 99.5)) if inner.size else 1.0, float(counts.sum()) / 4000, 1.0)
    heights = np.minimum(counts / top, 1.0) ** 0.5
    n = len(counts)
    points = [QPointF(box.left(), box.bottom())]
    for i, v in enumerate(heights):
        x0, x1 = box.left() + box.width() * i / n, box.left() + box.width() * (i + 1) / n
        y = box.bottom() - box.height() * float(v)
        points += [QPointF(x0, y), QPointF(x1, y)]
    points.append(QPointF(box.right(), box.bottom()))
    p.setPen(Qt.PenStyle.NoPen)
    p.setBrush(QColor(colour))
    p.setRenderHint(QPainter.RenderHint.Antialiasing, False)  # columns stand upright; smoothing them costs milliseconds
    p.drawPolygon(QPolygonF(points))
    p.setRenderHint(QPainter.RenderHint.Antialiasing)


class Plane(QWidget):
    """A framed area with coordinates from 0 to 1, right and up; the base of the editors."""

    takes_keys = True
    _held = Held()

    def __init__(self, height: int) -> None:
        super().__init__()
        self.setFixedHeight(height)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setMouseTracking(True)

    @property
    def area(self) -> QRectF:
        """The rectangle in pixels into which coordinates from 0 to 1 are drawn."""
        return QRectF(self.rect()).adjusted(6.5, 6.5, -6.5, -6.5)

    def spot(self, x: float, y: float) -> QPointF:
        """Coordinates to pixels."""
        a = self.area
        return QPointF(a.left() + a.width() * x, a.bottom() - a.height() * y)

    def at(self, spot: QPointF) -> tuple[float, float]:
        """Pixels to coordinates, not clipped."""
        a = self.area
        return (spot.x() - a.left()) / a.width(), (a.bottom() - spot.y()) / a.height()

    def ground(self, p: QPainter) -> None:
        """Draw the field's ground and its frame."""
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        p.setPen(QPen(QColor(theme.CHOSEN if self.hasFocus() else theme.LINE), 1))
        p.setBrush(QColor(theme.FIELD))
        p.drawRoundedRect(QRectF(self.rect()).adjusted(0.5, 0.5, -0.5, -0.5), 3, 3)

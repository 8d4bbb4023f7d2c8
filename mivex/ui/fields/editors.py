"""Editors drawn by hand: curve, colour ramp, levels on a histogram, brush strokes, packed channels."""

from collections.abc import Callable
from typing import Any

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QColor, QKeyEvent, QMouseEvent, QPaintEvent, QPen, QPolygonF
from PySide6.QtWidgets import QHBoxLayout, QLabel, QPushButton, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message
from mivex.core.prepare.tones import STRAIGHT, through
from mivex.ui import theme
from mivex.ui.fields.fields import Field
from mivex.ui.fields.plane import GRIP, Counts, Plane, draw_histogram
from mivex.ui.fields.ramp import RampField


class CurveEdit(Plane):
    """Points of a curve: click adds, drag moves, out of the frame removes; arrows move, Delete removes."""

    changed = Signal(object)
    released = Signal()

    def __init__(self) -> None:
        super().__init__(136)
        self.points: tuple[tuple[float, float], ...] = STRAIGHT
        self.counts: Counts | None = None
        self.chosen = -1
        self._held = False

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        self.ground(p)
        draw_histogram(p, self.area, self.counts, "#484848")
        p.setPen(QPen(QColor(theme.LINE), 1))
        for t in (0.25, 0.5, 0.75):
            p.drawLine(self.spot(t, 0), self.spot(t, 1))
            p.drawLine(self.spot(0, t), self.spot(1, t))
        p.setPen(QPen(QColor(theme.EDGE), 1, Qt.PenStyle.DashLine))
        p.drawLine(self.spot(0, 0), self.spot(1, 1))
        x = np.linspace(0, 1, 97, dtype=np.float32)
        p.setPen(QPen(QColor(theme.TEXT), 1.6))
        p.drawPolyline(QPolygonF([self.spot(float(a), float(b)) for a, b in zip(x, through(self.points, x), strict=True)]))
        for i, (px, py) in enumerate(self.points):
            p.setPen(QPen(QColor("#101010"), 1))
            p.setBrush(QColor(theme.CHOSEN if i == self.chosen else theme.SOFT))
            p.drawEllipse(self.spot(px, py), 4.5, 4.5)

    def _near(self, at: QPointF) -> int:
        near = [((self.spot(x, y) - at).manhattanLength(), i) for i, (x, y) in enumerate(self.points)]
        best = min(near)
        return best[1] if best[0] < 2 * GRIP else -1

    def _put(self, points: list[tuple[float, float]]) -> None:
        self.points = tuple(points)
        self.changed.emit(self.points)
        self.update()

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self.setFocus()
        self.chosen = self._near(event.position())
        if self.chosen < 0:
            x, y = self.at(event.position())
            x, y = round(min(max(x, 0.0), 1.0), 4), round(min(max(y, 0.0), 1.0), 4)
            if all(abs(x - px) > 0.01 for px, _ in self.points):
                rows = sorted([*self.points, (x, y)])
                self.chosen = rows.index((x, y))
                self._put(rows)
        self._held = True
        self.update()

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if not self._held or self.chosen < 0:
            return
        x, y = self.at(event.position())
        if (x < -0.25 or x > 1.25 or y < -0.45 or y > 1.45) and 0 < self.chosen < len(self.points) - 1:
            self._remove()
            return
        self._move_to(x, y)

    def _move_to(self, x: float, y: float) -> None:
        i, rows = self.chosen, list(self.points)
        low = rows[i - 1][0] + 0.01 if i > 0 else 0.0
        high = rows[i + 1][0] - 0.01 if i < len(rows) - 1 else 1.0
        rows[i] = (round(min(max(x, low), high), 4), round(min(max(y, 0.0), 1.0), 4))
        self._put(rows)

    def _remove(self) -> None:
        if 0 < self.chosen < len(self.points) - 1:
            rows = list(self.points)
            rows.pop(self.chosen)
            self.chosen = -1
            self._put(rows)

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        self._held = False
        self.released.emit()

    def keyPressEvent(self, event: QKeyEvent) -> None:
        way = {Qt.Key.Key_Left: (-1, 0), Qt.Key.Key_Right: (1, 0), Qt.Key.Key_Up: (0, 1), Qt.Key.Key_Down: (0, -1)}
        if event.key() in (Qt.Key.Key_Delete, Qt.Key.Key_Backspace):
            self._remove()
        elif event.key() == Qt.Key.Key_Space:
            self.chosen = (self.chosen + 1) % len(self.points)
            self.update()
        elif event.key() in way and self.chosen >= 0:
            dx, dy = way[Qt.Key(event.key())]
            x, y = self.points[self.chosen]
            self._move_to(x + dx * 0.01, y + dy * 0.01)
        else:
            super().keyPressEvent(event)
            return
        self.released.emit()


class CurveField(Field):
    """A curve over a histogram."""

    def __init__(self, name: str, hint: str, get: Callable[[], Any], default: Any) -> None:
        super().__init__(name, hint, get, default, tall=True)
        self.edit = CurveEdit()
        self.edit.setAccessibleName(tr(name))
        self.edit.changed.connect(self.edited)
        self.edit.released.connect(self.released)
        self.finish_tall(self.edit, 136)

    def show_value(self, value: Any) -> None:
        self.edit.points = tuple((float(x), float(y)) for x, y in value)
        self.edit.update()


class LevelsEdit(Plane):
    """Histogram of what comes in, with the handles of ``levels`` on it: in and bend below, out above."""

    changed = Signal(str, float)
    released = Signal()

    def __init__(self) -> None:
        super().__init__(104)
        self.counts: Counts | None = None
        self.values = {"black": 0.0, "white": 1.0, "gamma": 1.0, "out_black": 0.0, "out_white": 1.0}
        self._held = ""
        self.setAccessibleName(tr("Histogram with the handles of the levels"))
        self.setToolTip(tr("Drag the handles: below, what becomes low and high, and the bend; above, what they become."))

    @property
    def area(self) -> QRectF:
        return QRectF(self.rect()).adjusted(9.5, 14.5, -9.5, -16.5)

    def _handles(self) -> dict[str, tuple[float, bool]]:
        v = self.values
        # The bend stands where the middle of the output comes from.
        middle = v["black"] + (v["white"] - v["black"]) * 0.5 ** v["gamma"]
        return {
            "black": (v["black"], False),
            "white": (v["white"], False),
            "gamma": (middle, False),
            "out_black": (v["out_black"], True),
            "out_white": (v["out_white"], True),
        }

    def _spot(self, key: str) -> QPointF:
        at, above = self._handles()[key]
        a = self.area
        return QPointF(a.left() + a.width() * at, a.top() - 5 if above else a.bottom() + 7)

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        self.ground(p)
        draw_histogram(p, self.area, self.counts)
        a = self.area
        p.setBrush(Qt.BrushStyle.NoBrush)
        p.setPen(QPen(QColor(theme.LINE), 1))
        p.drawRect(a)
        for key in ("black", "white"):
            x = self._spot(key).x()
            p.setPen(QPen(QColor(theme.CHOSEN), 1))
            p.drawLine(QPointF(x, a.top()), QPointF(x, a.bottom()))
        for key, (_, above) in self._handles().items():
            s, d = self._spot(key), -1 if above else 1
            p.setPen(QPen(QColor("#101010"), 1))
            p.setBrush(QColor(theme.CHOSEN if key == self._held else theme.SOFT))
            if key == "gamma":
                p.drawEllipse(s, 4, 4)
            else:
                p.drawPolygon(QPolygonF([s + QPointF(0, -5 * d), s + QPointF(5, 5 * d), s + QPointF(-5, 5 * d)]))

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self.setFocus()
        at = event.position()
        near = min(((self._spot(k) - at).manhattanLength(), k) for k in self._handles())
        self._held = near[1] if near[0] < 3 * GRIP else ""
        self.update()

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if not self._held:
            return
        x = min(max((event.position().x() - self.area.left()) / self.area.width(), 0.0), 1.0)
        v = self.values
        if self._held == "gamma":
            t = min(max((x - v["black"]) / max(v["white"] - v["black"], 1e-3), 0.01), 0.99)
            x = min(max(float(np.log(t) / np.log(0.5)), 0.05), 20.0)
        self.values[str(self._held)] = round(x, 4)
        self.changed.emit(self._held, round(x, 4))
        self.update()

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        self._held = ""
        self.update()
        self.released.emit()


class StrokesField(Field):
    """Starts and ends painting in the flat proof, and clears what was painted."""

    paint_wanted = Signal(bool)

    def __init__(self, name: str, hint: str, get: Callable[[], Any], default: Any) -> None:
        super().__init__(name, hint, get, default)
        editor = QWidget()
        row = QHBoxLayout(editor)
        row.setContentsMargins(0, 0, 0, 0)
        row.setSpacing(6)
        self.paint = QPushButton(tr("Paint"))
        self.paint.setCheckable(True)
        self.paint.setToolTip(
            tr("Paint in the flat proof; with the right button, take away. Ctrl and the wheel change the brush.")
        )
        self.paint.toggled.connect(self.paint_wanted)
        self.count = QLabel()
        self.count.setObjectName("figure")
        row.addWidget(self.paint)
        row.addWidget(self.count, 1)
        self.finish(editor)

    def show_value(self, value: Any) -> None:
        self.count.setText(tr(Message("{count} stroke{ending}", count=len(value), ending="" if len(value) == 1 else "s")))


EDITORS: dict[str, Callable[[str, str, Callable[[], Any], Any], Field]] = {
    "curve": CurveField,
    "ramp": RampField,
    "strokes": StrokesField,
}

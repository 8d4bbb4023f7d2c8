"""A ramp of colours: stops that are put, moved, coloured and removed."""

from collections.abc import Callable
from typing import Any

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QBrush, QColor, QKeyEvent, QLinearGradient, QMouseEvent, QPaintEvent, QPen, QPolygonF
from PySide6.QtWidgets import QColorDialog

from mivex.core.base.languages import tr
from mivex.core.prepare.tinting import Stop
from mivex.ui import theme
from mivex.ui.fields.fields import Field
from mivex.ui.fields.plane import GRIP, Plane


class RampEdit(Plane):
    """A colour ramp: click below it adds a colour, drag moves it, double click or Return changes it."""

    changed = Signal(object)
    released = Signal()

    def __init__(self) -> None:
        super().__init__(58)
        self.stops: tuple[Stop, ...] = ()
        self.chosen = 0
        self._held = False

    @property
    def _bar(self) -> QRectF:
        return QRectF(self.rect()).adjusted(10, 6, -10, -24)

    def _spot(self, at: float) -> QPointF:
        return QPointF(self._bar.left() + self._bar.width() * at, self._bar.bottom() + 11)

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        self.ground(p)
        fill = QLinearGradient(self._bar.topLeft(), self._bar.topRight())
        for at, c in self.stops:
            fill.setColorAt(at, QColor.fromRgbF(*c))
        p.setPen(QPen(QColor(theme.EDGE), 1))
        p.setBrush(QBrush(fill))
        p.drawRect(self._bar)
        for i, (at, c) in enumerate(self.stops):
            s = self._spot(at)
            p.setPen(QPen(QColor(theme.CHOSEN if i == self.chosen else theme.SOFT), 2 if i == self.chosen else 1))
            p.setBrush(QColor.fromRgbF(*c))
            p.drawPolygon(
                QPolygonF(
                    [s + QPointF(0, -8), s + QPointF(6, -1), s + QPointF(6, 8), s + QPointF(-6, 8), s + QPointF(-6, -1)]
                )
            )

    def _put(self, rows: list[Stop]) -> None:
        self.stops = tuple(rows)
        self.changed.emit(self.stops)
        self.update()

    def _place(self, at: QPointF) -> float:
        return round(min(max((at.x() - self._bar.left()) / self._bar.width(), 0.0), 1.0), 4)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self.setFocus()
        at = event.position()
        near = min((abs(self._spot(s[0]).x() - at.x()), i) for i, s in enumerate(self.stops))
        if near[0] < GRIP:
            self.chosen = near[1]
        else:
            x = self._place(at)
            table = [np.interp(x, [s[0] for s in self.stops], [s[1][c] for s in self.stops]) for c in range(3)]
            fresh: Stop = (x, (round(float(table[0]), 4), round(float(table[1]), 4), round(float(table[2]), 4)))
            rows = sorted([*self.stops, fresh], key=lambda s: s[0])
            self.chosen = rows.index(fresh)
            self._put(rows)
        self._held = True
        self.update()

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if not self._held:
            return
        if event.position().y() > self.height() + 24 and len(self.stops) > 2:
            self._held = False
            self._remove()
            return
        colour = self.stops[self.chosen][1]
        moved: Stop = (self._place(event.position()), colour)
        rows = sorted([s for i, s in enumerate(self.stops) if i != self.chosen] + [moved], key=lambda s: s[0])
        self.chosen = rows.index(moved)
        self._put(rows)

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        self._held = False
        self.released.emit()

    def mouseDoubleClickEvent(self, _event: QMouseEvent) -> None:
        self.ask()

    def ask(self) -> None:
        """Choose another colour for the chosen place."""
        at, c = self.stops[self.chosen]
        fresh = QColorDialog.getColor(
            QColor.fromRgbF(*c), self, tr("Colour"), QColorDialog.ColorDialogOption.DontUseNativeDialog
        )
        if fresh.isValid():
            rows = list(self.stops)
            rows[self.chosen] = (at, (round(fresh.redF(), 4), round(fresh.greenF(), 4), round(fresh.blueF(), 4)))
            self._put(rows)
            self.released.emit()

    def _remove(self) -> None:
        if len(self.stops) > 2:
            rows = [s for i, s in enumerate(self.stops) if i != self.chosen]
            self.chosen = max(0, self.chosen - 1)
            self._put(rows)
            self.released.emit()

    def keyPressEvent(self, event: QKeyEvent) -> None:
        if event.key() in (Qt.Key.Key_Return, Qt.Key.Key_Enter):
            self.ask()
        elif event.key() in (Qt.Key.Key_Delete, Qt.Key.Key_Backspace):
            self._remove()
        elif event.key() in (Qt.Key.Key_Left, Qt.Key.Key_Right):
            self.chosen = (self.chosen + (1 if event.key() == Qt.Key.Key_Right else -1)) % len(self.stops)
            self.update()
        else:
            super().keyPressEvent(event)


class RampField(Field):
    """A colour ramp."""

    def __init__(self, name: str, hint: str, get: Callable[[], Any], default: Any) -> None:
        super().__init__(name, hint, get, default, tall=True)
        self.edit = RampEdit()
        self.edit.setAccessibleName(tr(name))
        self.edit.changed.connect(self.edited)
        self.edit.released.connect(self.released)
        self.finish_tall(self.edit, 58)

    def show_value(self, value: Any) -> None:
        self.edit.stops = tuple((float(at), (float(c[0]), float(c[1]), float(c[2]))) for at, c in value)
        self.edit.chosen = min(self.edit.chosen, len(self.edit.stops) - 1)
        self.edit.update()

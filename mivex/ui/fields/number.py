"""Numbers: a bar that is dragged, turned and typed into."""

import math
from collections.abc import Callable
from typing import Any

from PySide6.QtCore import QPointF, QRectF, Qt, Signal
from PySide6.QtGui import (
    QColor,
    QFocusEvent,
    QFont,
    QKeyEvent,
    QMouseEvent,
    QPainter,
    QPaintEvent,
    QPen,
    QWheelEvent,
)
from PySide6.QtWidgets import (
    QWidget,
)

from mivex.core.base.languages import figure, tr
from mivex.ui import theme
from mivex.ui.fields.fields import Field
from mivex.ui.fields.line import FOR_A_WHILE, Held, Line


class NumberLine(Line):
    """The line in which a bar's number is typed: gone with Return, Escape, or when the focus goes."""

    def keyPressEvent(self, event: QKeyEvent) -> None:
        super().keyPressEvent(event)
        if event.key() in (Qt.Key.Key_Return, Qt.Key.Key_Enter, Qt.Key.Key_Escape):
            event.accept()  # not handed on: the bar would take the Return for a wish to type once more
            self.hide()
            bar = self.parentWidget()
            assert bar is not None
            bar.setFocus()

    def focusOutEvent(self, event: QFocusEvent) -> None:
        super().focusOutEvent(event)
        if event.reason() not in FOR_A_WHILE:
            self.hide()


class Bar(QWidget):
    """A number over a thin gauge: drag it, press Return or a digit to type, arrow keys to step, Home for the usual."""

    changed = Signal(float)
    released = Signal()
    let_go = Signal()
    _press = Held()

    def __init__(
        self, low: float, high: float, hard: tuple[float, float], *, whole: bool, unit: str, log: bool, default: float
    ) -> None:
        super().__init__()
        self.low, self.high, self.hard = low, high, hard
        self.whole, self.unit, self.log, self.default = whole, unit, log, default
        self.value = default
        self._from = 0.0
        self._dragged = False
        # A drag leaves the keys to the proofs; a click asks for them.
        self.setFocusPolicy(Qt.FocusPolicy.TabFocus)
        self.setCursor(Qt.CursorShape.SizeHorCursor)
        self.setMinimumWidth(60)
        self.mark = ""
        """A letter before the number, where several stand in a row."""
        self._line: NumberLine | None = None

    @property
    def _edit(self) -> NumberLine:
        """The line for typing; made when it is first needed, since most bars are only looked at."""
        if self._line is None:
            self._line = NumberLine(self)
            self._line.setAlignment(Qt.AlignmentFlag.AlignRight)
            self._line.typed.connect(self._typed)
            self._line.let_go.connect(self.let_go)
        return self._line

    @property
    def digits(self) -> int:
        """Decimals shown."""
        if self.whole:
            return 0
        span = self.high - self.low
        return 3 if span <= 2 else 2 if span <= 20 else 1

    def text(self) -> str:
        """The number with its unit."""
        shown = format(self.value, f".{self.digits}f")
        if not self.whole and abs(float(shown)) == 0:
            shown = format(0.0, f".{self.digits}f")
        return figure(shown).replace("-", "−") + (f" {tr(self.unit)}" if self.unit else "")

    def _at(self, value: float) -> float:
        if self.log:
            t = math.log(max(value, 1e-6) / self.low) / math.log(self.high / self.low)
        else:
            t = (value - self.low) / (self.high - self.low)
        return min(max(t, 0.0), 1.0)

    def _value_at(self, t: float) -> float:
        if self.log:
            return self.low * (self.high / self.low) ** t
        return self.low + (self.high - self.low) * t

    def put(self, value: float, *, tell: bool = True) -> None:
        """Set the number within what is allowed, and announce it."""
        value = min(max(value, self.hard[0]), self.hard[1])
        value = float(round(value)) if self.whole else round(value, self.digits + 1)
        if value != self.value:
            self.value = value
            self.update()
            if tell:
                self.changed.emit(value)

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        w, y = float(self.width()), self.height() - 4.5
        on, held = self.isEnabled(), self.hasFocus() or self._press is not None
        p.setPen(QColor((theme.CHOSEN if held else theme.TEXT) if on else theme.FAINT))
        p.setFont(theme.figures_font(weight=QFont.Weight.DemiBold if held else QFont.Weight.Normal))
        text, room = self.text(), w - 4 - (14 if self.mark else 0)
        if self.unit and p.fontMetrics().horizontalAdvance(text) > room:
            text = text[: -len(tr(self.unit))].rstrip()  # the number before its unit, where both are too wide
        p.drawText(QRectF(0, 0, w - 4, y - 2), Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight, text)
        if self.mark:
            p.setPen(QColor(theme.SOFT))
            p.setFont(theme.figures_font(11))
            p.drawText(QRectF(2, 0, w, y - 2), Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignLeft, tr(self.mark))
        p.setPen(QPen(QColor(theme.LINE), 2))
        p.drawLine(QPointF(1, y), QPointF(w - 1, y))
        # The usual value is a notch under the gauge; from nought, or from the left, runs what is set.
        usual = 1 + (w - 2) * self._at(self.default)
        p.setPen(QPen(QColor(theme.FAINT), 1))
        p.drawLine(QPointF(usual, y + 1.5), QPointF(usual, y + 4))
        t, zero = self._at(self.value), self._at(0.0) if self.low < 0 < self.high else 0.0
        p.setPen(QPen(QColor((theme.CHOSEN if held else theme.SOFT) if on else theme.EDGE), 2))
        at = 1 + (w - 2) * t
        if abs(t - zero) > 1e-6:
            p.drawLine(QPointF(1 + (w - 2) * zero, y), QPointF(at, y))
        p.setPen(Qt.PenStyle.NoPen)
        p.setBrush(QColor((theme.CHOSEN if held else theme.SOFT) if on else theme.EDGE))
        p.drawRect(QRectF(min(max(at - 1, 0), w - 2), y - 4, 2, 5))

    def mousePressEvent(self, event: QMouseEvent) -> None:
        if event.button() == Qt.MouseButton.LeftButton:
            self._press, self._from, self._dragged = event.position(), self._at(self.value), False

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if self._press is not None:
            fine = 0.1 if event.modifiers() & Qt.KeyboardModifier.ShiftModifier else 1.0
            moved = (event.position().x() - self._press.x()) / max(self.width(), 1) * fine
            if abs(moved) * self.width() >= 1 or self._dragged:
                self._dragged = True
                self.put(self._value_at(min(max(self._from + moved, 0.0), 1.0)))

    def mouseReleaseEvent(self, event: QMouseEvent) -> None:
        if self._press is not None and not self._dragged:
            self.setFocus()
        self._press = None
        self.released.emit()
        self.let_go.emit()

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        self._press = None
        self.type_in()

    def wheelEvent(self, event: QWheelEvent) -> None:
        # Scrolling the column must not change a number by accident.
        event.ignore()

    def keyPressEvent(self, event: QKeyEvent) -> None:
        step = 1.0 if self.whole else (self.high - self.low) / 100
        if event.modifiers() & Qt.KeyboardModifier.ShiftModifier:
            step *= 10
        key, text = event.key(), event.text()
        if key in (Qt.Key.Key_Left, Qt.Key.Key_Right):
            way = 1 if key == Qt.Key.Key_Right else -1
            self.put(self.value * 1.05**way if self.log else self.value + way * step)
            self.released.emit()
        elif key in (Qt.Key.Key_Return, Qt.Key.Key_Enter):
            self.type_in()
        elif key == Qt.Key.Key_Home:
            self.put(self.default)
            self.released.emit()
        elif text and (text.isdigit() or text in "-.−,"):
            self.type_in(text)
        else:
            super().keyPressEvent(event)

    def type_in(self, begin: str = "") -> None:
        """Open the line in which the number is typed."""
        self._edit.setGeometry(self.rect())
        self._edit.put(figure(f"{self.value:.{self.digits}f}"))
        if begin:
            self._edit.begin(begin)
        self._edit.show()
        self._edit.setFocus()
        if not begin:
            self._edit.selectAll()

    def _typed(self) -> None:
        text = self._edit.text().replace(",", ".").replace("−", "-").strip()
        if self.unit and text.endswith(self.unit):
            text = text[: -len(self.unit)].strip()
        try:
            value = float(text)
        except ValueError:
            return
        if math.isfinite(value):
            self.put(value)
            self.released.emit()


class NumberField(Field):
    """A number with name, unit, default and range."""

    def __init__(  # noqa: PLR0913
        self,
        name: str,
        hint: str,
        get: Callable[[], Any],
        default: float,
        *,
        low: float,
        high: float,
        hard: tuple[float, float],
        whole: bool = False,
        unit: str = "",
        log: bool = False,
    ) -> None:
        super().__init__(name, hint, get, default)
        self.bar = Bar(low, high, hard, whole=whole, unit=unit, log=log, default=default)
        self.bar.setAccessibleName(tr(name))
        self.bar.changed.connect(lambda v: self.edited.emit(int(v) if whole else v))
        self.bar.released.connect(self.released)
        self.bar.let_go.connect(self.let_go)
        self.finish(self.bar)

    def show_value(self, value: Any) -> None:
        self.bar.value = float(value)
        self.bar.update()

"""Editors of single values: numbers that can be dragged and typed, choices, switches, colours, files."""

from collections.abc import Callable
from typing import Any

from PySide6.QtCore import QPointF, Qt, Signal
from PySide6.QtGui import (
    QColor,
    QEnterEvent,
    QFontMetrics,
    QMouseEvent,
    QPainter,
    QPaintEvent,
    QWheelEvent,
)
from PySide6.QtWidgets import (
    QCheckBox,
    QColorDialog,
    QComboBox,
    QHBoxLayout,
    QLabel,
    QPushButton,
    QVBoxLayout,
    QWidget,
)

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term
from mivex.core.pixels.colour import hex_of
from mivex.ui import theme
from mivex.ui.fields.line import Line

NAME_WIDTH = 100
ROW = 26


class Name(QLabel):
    """The name of a setting. A dot before it says that it has been changed; a double click brings the usual value."""

    usual_wanted = Signal()

    def __init__(self, name: str) -> None:
        super().__init__(tr(name))
        self.setFixedWidth(NAME_WIDTH)
        self.setContentsMargins(9, 0, 0, 0)
        # A long name takes two lines of smaller letters.
        long = QFontMetrics(theme.figures_font()).horizontalAdvance(tr(name)) > NAME_WIDTH - 9
        self.setObjectName("small" if long else "soft")
        self.setWordWrap(long)
        self.changed = False

    def show_changed(self, on: bool) -> None:
        """Show or hide the dot."""
        if on != self.changed:
            self.changed = on
            self.setAccessibleDescription(tr("changed" if on else ""))
            self.update()

    def paintEvent(self, event: QPaintEvent) -> None:
        super().paintEvent(event)
        if self.changed:
            p = theme.painter(self)
            p.setRenderHint(QPainter.RenderHint.Antialiasing)
            p.setPen(Qt.PenStyle.NoPen)
            p.setBrush(QColor(theme.CHOSEN))
            p.drawEllipse(QPointF(3.5, self.height() / 2 + 0.5), 2.2, 2.2)

    def mouseDoubleClickEvent(self, _event: QMouseEvent) -> None:
        self.usual_wanted.emit()


class Field(QWidget):
    """One named setting. `edited` carries a new value; `refresh` shows what the document holds.

    What is half typed in it, or held with the mouse, is neither overwritten nor taken away; `let_go` tells its end.
    """

    takes_keys = True
    edited = Signal(object)
    released = Signal()
    let_go = Signal()
    entered = Signal()

    def __init__(self, name: str, hint: str, get: Callable[[], Any], default: Any, *, tall: bool = False) -> None:
        super().__init__()
        self.name, self.hint, self.get, self.default = name, hint, get, default
        self.setFixedHeight(ROW)
        self.setToolTip(tr(hint))
        self.setAccessibleName(tr(name))
        self.row = QHBoxLayout() if tall else QHBoxLayout(self)
        self.row.setContentsMargins(0, 1, 0, 1)
        self.row.setSpacing(6)
        self.label = Name(name)
        self.label.usual_wanted.connect(self.make_usual)
        self.row.addWidget(self.label)

    def enterEvent(self, event: QEnterEvent) -> None:
        super().enterEvent(event)
        self.entered.emit()

    def make_usual(self) -> None:
        """Set the default value, as an edit."""
        self.edited.emit(self.default)
        self.released.emit()

    def finish(self, editor: QWidget) -> None:
        """Put the editor into the row."""
        self.row.addWidget(editor, 1)
        self.setFocusProxy(editor)
        self.refresh()

    def finish_tall(self, editor: QWidget, height: int) -> None:
        """Put a large editor beneath the name."""
        self.row.addStretch()
        head = QWidget()
        head.setLayout(self.row)  # takes the row from this widget
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 2)
        column.setSpacing(0)
        column.addWidget(head)
        column.addWidget(editor)
        self.setFixedHeight(ROW + height + 4)
        self.setFocusProxy(editor)
        self.refresh()

    def refresh(self) -> None:
        """Show the document's value."""
        value = self.get()
        self.label.show_changed(value != self.default)
        self.show_value(value)

    def show_value(self, value: Any) -> None:
        """Show a value without announcing it."""
        raise NotImplementedError


class QuietCombo(QComboBox):
    """A choice that the wheel does not change."""

    def wheelEvent(self, event: QWheelEvent) -> None:
        event.ignore()


class ChoiceField(Field):
    """One word out of a few."""

    def __init__(self, name: str, hint: str, get: Callable[[], Any], default: Any, choices: dict[Any, str]) -> None:
        super().__init__(name, hint, get, default)
        self.words = list(choices)
        self.box = QuietCombo()
        self.box.setAccessibleName(tr(name))
        self.box.addItems([tr(w) for w in choices.values()])
        self.box.setSizeAdjustPolicy(QComboBox.SizeAdjustPolicy.AdjustToMinimumContentsLengthWithIcon)
        self.box.activated.connect(lambda i: (self.edited.emit(self.words[i]), self.released.emit(), self.let_go.emit()))
        self.finish(self.box)

    def show_value(self, value: Any) -> None:
        self.box.setCurrentIndex(self.words.index(value))


class SwitchField(Field):
    """On or off."""

    def __init__(self, name: str, hint: str, get: Callable[[], Any], default: bool) -> None:
        super().__init__(name, hint, get, default)
        self.check = QCheckBox()
        self.check.setAccessibleName(tr(name))
        self.check.clicked.connect(lambda on: (self.edited.emit(on), self.released.emit()))
        self.finish(self.check)

    def show_value(self, value: Any) -> None:
        self.check.setChecked(bool(value))


class TextField(Field):
    """A line of text."""

    def __init__(self, name: str, hint: str, get: Callable[[], Any], default: str, empty: str = "") -> None:
        super().__init__(name, hint, get, default)
        self.line = Line()
        self.line.setAccessibleName(tr(name))
        self.line.setPlaceholderText(tr(empty))
        self.line.typed.connect(self._finished)
        self.line.let_go.connect(self.let_go)
        self.finish(self.line)

    def _finished(self) -> None:
        if self.line.text() != self.get():
            self.edited.emit(self.line.text())
            self.released.emit()

    def show_value(self, value: Any) -> None:
        self.line.put(str(value))


class ColourField(Field):
    """A colour in display values: swatch, hexadecimal text and, where it helps, picking from the picture."""

    pick_wanted = Signal()

    def __init__(self, name: str, hint: str, get: Callable[[], Any], default: tuple, *, pick: bool = False) -> None:
        super().__init__(name, hint, get, default)
        editor = QWidget()
        row = QHBoxLayout(editor)
        row.setContentsMargins(0, 0, 0, 0)
        row.setSpacing(6)
        self.swatch = QPushButton()
        self.swatch.setFixedSize(26, 20)
        self.swatch.setAccessibleName(tr(Message("{name}: choose", name=term(name))))
        self.swatch.clicked.connect(self._choose)
        self.line = Line()
        self.line.setAccessibleName(tr(name))
        self.line.typed.connect(self._typed)
        self.line.let_go.connect(self.let_go)
        row.addWidget(self.swatch)
        row.addWidget(self.line, 1)
        if pick:
            self.picker = theme.tool("pick", "Take a colour from the flat proof: click here, then on the picture")
            self.picker.setAccessibleName(tr(Message("{name}: pick from the picture", name=term(name))))
            self.picker.clicked.connect(self.pick_wanted)
            row.addWidget(self.picker)
        self.finish(editor)

    def show_value(self, value: Any) -> None:
        code = hex_of(value)
        self.swatch.setStyleSheet(f"background: {code}; border: 1px solid {theme.EDGE}; padding: 0;")
        self.line.put(code)

    def _choose(self) -> None:
        now = QColor.fromRgbF(*self.get())
        options = QColorDialog.ColorDialogOption.DontUseNativeDialog
        colour = QColorDialog.getColor(now, self, tr(self.name), options)
        if colour.isValid():
            self._tell(colour)

    def _typed(self) -> None:
        colour = QColor(
            self.line.text().strip() if self.line.text().strip().startswith("#") else "#" + self.line.text().strip()
        )
        if colour.isValid() and hex_of(self.get()) != colour.name():
            self._tell(colour)
        else:
            self.line.setText(hex_of(self.get()))

    def _tell(self, colour: QColor) -> None:
        self.edited.emit((round(colour.redF(), 4), round(colour.greenF(), 4), round(colour.blueF(), 4)))
        self.released.emit()


class FileField(Field):
    """A picture file, chosen or typed."""

    def __init__(self, name: str, hint: str, get: Callable[[], Any], choose: Callable[[], str]) -> None:
        super().__init__(name, hint, get, "")
        editor = QWidget()
        row = QHBoxLayout(editor)
        row.setContentsMargins(0, 0, 0, 0)
        row.setSpacing(6)
        self.line = Line()
        self.line.setAccessibleName(tr(name))
        self.line.setPlaceholderText(tr("None yet"))
        self.line.typed.connect(self._typed)
        self.line.let_go.connect(self.let_go)
        button = theme.tool("folder", "Choose a picture")
        button.clicked.connect(lambda: (path := choose()) and self.edited.emit(path))
        row.addWidget(self.line, 1)
        row.addWidget(button)
        self.finish(editor)

    def _typed(self) -> None:
        if self.line.text() != self.get():
            self.edited.emit(self.line.text())

    def show_value(self, value: Any) -> None:
        if self.line.text() != str(value) and not self.line.typing:
            self.line.put(str(value))
            self.line.setCursorPosition(0)
        self.line.setToolTip(str(value))

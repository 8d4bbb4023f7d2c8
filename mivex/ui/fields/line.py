"""A line of text that belongs to whoever types in it until Return, Tab or Escape; and the rule for single keys."""

from typing import Any
from weakref import WeakSet

from PySide6.QtCore import QEvent, QObject, Qt, Signal
from PySide6.QtGui import QFocusEvent, QKeyEvent
from PySide6.QtWidgets import QAbstractItemView, QAbstractSpinBox, QApplication, QComboBox, QLineEdit, QWidget

FOR_A_WHILE = (Qt.FocusReason.PopupFocusReason, Qt.FocusReason.MenuBarFocusReason, Qt.FocusReason.ActiveWindowFocusReason)
"""Reasons for which the focus goes and comes back: its own menu, the menu bar, another window."""


_held: WeakSet[QWidget] = WeakSet()


class Held:
    """An attribute of a widget that is true while the widget is held: half typed in, or dragged."""

    def __set_name__(self, owner: type, name: str) -> None:
        self.name = "__" + name

    def __get__(self, widget: Any, owner: type) -> Any:
        return getattr(widget, self.name, None)

    def __set__(self, widget: Any, value: object) -> None:
        setattr(widget, self.name, value)
        (_held.add if value else _held.discard)(widget)


def is_held(part: QWidget) -> bool:
    """Whether something within a part is half typed, dragged, or has its list open."""
    popup: Any = QApplication.activePopupWidget()
    while popup is not None:
        if popup is part:
            return True
        popup = popup.parentWidget()
    return any(part.isAncestorOf(w) for w in _held)


class Line(QLineEdit):
    """A line of text.

    `put` shows what the document holds, but never over what is half typed. Return, Tab, a click elsewhere and
    `commit` tell what was typed; Escape takes it back.

    Signals
    -------
    typed()
        Something was typed and is to count.
    let_go()
        The line is no longer being typed in, whichever way it ended.
    """

    typed = Signal()
    let_go = Signal()
    typing = Held()

    def __init__(self, parent: QWidget | None = None) -> None:
        super().__init__(parent)
        self._shown = ""
        self.textEdited.connect(self._edited)

    def _edited(self, _text: str) -> None:
        self.typing = True

    def put(self, text: str) -> None:
        """Show a text, unless another is being typed."""
        self._shown = text
        if not self.typing and self.text() != text:
            self.setText(text)

    def begin(self, text: str) -> None:
        """Put in a text as if it had been typed."""
        self.setText(text)
        self.typing = True

    def commit(self) -> None:
        """What is half typed counts from now on."""
        if self.typing or self.text() != self._shown:  # also what an input method or a script has put in
            self.typing = False
            self.typed.emit()
            self.let_go.emit()

    def cancel(self) -> None:
        """Take back what is half typed."""
        self.setText(self._shown)
        self.typing = False
        self.let_go.emit()

    def focusInEvent(self, event: QFocusEvent) -> None:
        super().focusInEvent(event)
        self.installEventFilter(self)  # only now: a filter costs time at every event of every line

    def eventFilter(self, watched: QObject, event: QEvent) -> bool:
        if (
            event.type() == QEvent.Type.ShortcutOverride
            and not self.typing
            and isinstance(event, QKeyEvent)
            and event.modifiers() & Qt.KeyboardModifier.ControlModifier
            and event.key() in (Qt.Key.Key_Z, Qt.Key.Key_Y)
        ):
            # There is nothing of its own to take back: Undo is the window's.
            event.ignore()
            return True
        return False

    def keyPressEvent(self, event: QKeyEvent) -> None:
        key = event.key()
        if key in (Qt.Key.Key_Return, Qt.Key.Key_Enter):
            self.commit()
            self.clearFocus()
        elif key == Qt.Key.Key_Escape:
            self.cancel()
            self.clearFocus()
        else:
            super().keyPressEvent(event)

    def focusOutEvent(self, event: QFocusEvent) -> None:
        super().focusOutEvent(event)
        self.removeEventFilter(self)
        if event.reason() not in FOR_A_WHILE:
            self.commit()


def takes_keys(widget: Any) -> bool:
    """Whether a widget that has the focus wants single keys for itself: any field, list or table."""
    if isinstance(widget, QLineEdit | QAbstractItemView | QAbstractSpinBox | QComboBox):
        return True
    while isinstance(widget, QWidget):
        if getattr(widget, "takes_keys", False):
            return True
        widget = widget.parentWidget()
    return False


def is_single(event: QKeyEvent) -> bool:
    """Whether a key would be a shortcut of one key: a letter, digit or sign, with or without Shift."""
    others = event.modifiers() & ~(Qt.KeyboardModifier.ShiftModifier | Qt.KeyboardModifier.KeypadModifier)
    function = Qt.Key.Key_F1.value <= event.key() <= Qt.Key.Key_F35.value
    return not others and not function


class FieldKeys(QObject):
    """Keeps single-key shortcuts of a window from fields, lists and tables that have the focus.

    A key that the focused widget does not claim comes up to the window as a ShortcutOverride; accepted there, it goes to
    the widget as a plain key.
    """

    def __init__(self, window: QWidget) -> None:
        super().__init__(window)
        window.installEventFilter(self)

    def eventFilter(self, watched: QObject, event: QEvent) -> bool:
        if (
            event.type() == QEvent.Type.ShortcutOverride
            and isinstance(event, QKeyEvent)
            and is_single(event)
            and takes_keys(QApplication.focusWidget())
        ):
            event.accept()
            return True
        return False


def commit_typing(within: QWidget) -> None:
    """Make what is half typed in a window count, wherever the caret is."""
    for line in within.findChildren(Line):
        line.commit()

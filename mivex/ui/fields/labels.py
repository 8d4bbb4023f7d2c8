"""Lines of text in the look of the window."""

from PySide6.QtCore import Qt
from PySide6.QtGui import QAction, QResizeEvent
from PySide6.QtWidgets import QLabel, QSizePolicy, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, verbatim
from mivex.core.picture.formats import READABLE


def label(text: str, name: str = "", *, wrap: bool = False) -> QLabel:
    """A line of text; ``name`` chooses its style (title, section, soft, figure, equation)."""
    made = QLabel(tr(text))
    if name:
        made.setObjectName(name)
    made.setWordWrap(wrap)
    return made


def enable(control: QWidget | QAction, on: bool, why: str) -> None:
    """Enable a control, or disable it and let its hint say why."""
    if control.property("hint") is None:
        control.setProperty("hint", control.toolTip())
    control.setEnabled(on)
    control.setToolTip(tr(control.property("hint") if on else why))


def picture_filter(*more: str) -> str:
    """What a dialog for pictures shows: all kinds that Mivex reads, and further endings."""
    return Message("Pictures ({patterns})", patterns=verbatim(" ".join(f"*{e}" for e in (*READABLE, *more))))


class Elided(QLabel):
    """A line that takes the room there is: what does not fit ends in dots, and is told in full by its hint."""

    def __init__(self, name: str = "") -> None:
        super().__init__()
        self.whole = ""
        self.setObjectName(name)
        self.setSizePolicy(QSizePolicy.Policy.Ignored, QSizePolicy.Policy.Fixed)

    def setText(self, text: str) -> None:
        """Replace the text; what does not fit is elided when it is drawn."""
        self.whole = tr(text)
        self._fit()

    def text(self) -> str:
        """The whole text, also where it is drawn elided."""
        return self.whole

    def _fit(self) -> None:
        said = self.fontMetrics().elidedText(self.whole, Qt.TextElideMode.ElideRight, self.contentsRect().width())
        super().setText(said)
        self.setToolTip(self.whole if said.endswith("…") and not self.whole.endswith("…") else "")

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        self._fit()


KINDS = {"glass": "Glass", "decal": "Decal", "logo": "Logo", "sprite": "Sprite", "cloth": "Cloth or screen"}
"""Kinds of overlays, in words."""

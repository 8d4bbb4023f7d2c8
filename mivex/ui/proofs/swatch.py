"""A backdrop as a small square to press."""

from PySide6.QtGui import QColor, QPen
from PySide6.QtWidgets import (
    QToolButton,
)

from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message
from mivex.core.proof.flat import BACKDROPS
from mivex.ui import theme


class Swatch(QToolButton):
    """A button that shows a backdrop."""

    def __init__(self, key: str) -> None:
        super().__init__()
        self.key, self.colour = key, {"black": "#000000", "white": "#ffffff", "grey": "#808080"}.get(key, "")
        self.setCheckable(True)
        self.setFixedSize(24, 24)
        self.setToolTip(tr(Message("Backdrop: {backdrops}", backdrops=InSentence(BACKDROPS[key]))))
        self.setAccessibleName(tr(self.toolTip()))

    def paintEvent(self, _event) -> None:  # type: ignore[no-untyped-def]
        p = theme.painter(self)
        box = self.rect().adjusted(4, 4, -4, -4)
        if self.key == "checker":
            for i in range(4):
                for j in range(4):
                    p.fillRect(box.x() + i * 4, box.y() + j * 4, 4, 4, QColor("#949494" if (i + j) & 1 else "#6b6b6b"))
        else:
            p.fillRect(box, QColor(self.colour))
        p.setPen(QPen(QColor(theme.CHOSEN if self.isChecked() else theme.EDGE), 2 if self.isChecked() else 1))
        p.drawRect(box.adjusted(-1, -1, 0, 0))

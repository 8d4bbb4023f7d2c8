"""The foot of the controls: what a setting changes, and for a step a picture of it, before and after."""

from collections.abc import Callable
from typing import Any

from PySide6.QtCore import Qt
from PySide6.QtGui import QImage, QPixmap
from PySide6.QtWidgets import QFrame, QHBoxLayout, QLabel

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term
from mivex.core.prepare import STEPS
from mivex.core.proof.samples import build_pictures, step_pictures
from mivex.ui.session.worker import Workers

SIDE = 64


class Hint(QFrame):
    """A sentence; for a step, with its picture."""

    def __init__(self, workers: Workers) -> None:
        super().__init__()
        self.setObjectName("hint")
        self.setFixedHeight(80)
        row = QHBoxLayout(self)
        row.setContentsMargins(12, 7, 8, 7)
        row.setSpacing(4)
        self.pictures = QLabel(), QLabel()
        for picture in self.pictures:
            picture.setFixedSize(SIDE, SIDE)
            row.addWidget(picture)
        self.words = QLabel()
        self.words.setWordWrap(True)
        self.words.setAlignment(Qt.AlignmentFlag.AlignTop)
        self.words.setObjectName("figure")
        self.words.setContentsMargins(4, 0, 0, 0)
        row.addWidget(self.words, 1)
        self._drawn: dict[str, tuple[QPixmap, QPixmap]] = {}
        self._step = ""
        self.worker = workers.latest("hints")
        self.worker.done.connect(self._take)
        self.say("")

    def say(self, words: str) -> None:
        """Show a sentence."""
        self._step = ""
        self.words.setText(tr(words))
        for picture in self.pictures:
            picture.hide()

    def show_step(self, name: str) -> None:
        """Show what a step does, in words and in a picture."""
        self._show(name, STEPS[name].hint, lambda: step_pictures(name, SIDE))

    def show_build(self, name: str, about: str) -> None:
        """Show what a build looks like."""
        self._show(f"build:{name}", about, lambda: build_pictures(name, SIDE))

    def _show(self, key: str, words: str, make: Callable[[], Any]) -> None:
        self._step = key
        self.words.setText(tr(words))
        for i, picture in enumerate(self.pictures):
            picture.setVisible(True)
            picture.setPixmap(self._drawn[key][i] if key in self._drawn else QPixmap())
            picture.setAccessibleName(
                tr(Message("{words}: {word}", words=term(words), word=term("after" if i else "before")))
            )
        if key not in self._drawn:
            self.worker.ask(key, lambda _report, _stopped: make())

    def _take(self, name: object, pictures: object) -> None:
        made = []
        for rgb in pictures:  # type: ignore[attr-defined]
            h, w = rgb.shape[:2]
            made.append(QPixmap.fromImage(QImage(rgb.data, w, h, w * 3, QImage.Format.Format_RGB888).copy()))
        self._drawn[str(name)] = made[0], made[1]
        if self._step == name:
            self.show_step(str(name))

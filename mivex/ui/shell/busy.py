"""The strip that says what long work is doing, with a button that stops it."""

from PySide6.QtCore import QTimer, Signal
from PySide6.QtWidgets import QHBoxLayout, QLabel, QProgressBar, QPushButton, QWidget

from mivex.core.base.languages import tr

PATIENCE = 900
"""Milliseconds of work before the strip appears; most work is over by then."""


class Busy(QWidget):
    """Hidden until work has taken a while; `stop_wanted` asks to end it."""

    stop_wanted = Signal()

    def __init__(self) -> None:
        super().__init__()
        self._count = 0
        row = QHBoxLayout(self)
        row.setContentsMargins(10, 4, 6, 4)
        row.setSpacing(10)
        bar = QProgressBar()
        bar.setRange(0, 0)  # how long a step takes is not known beforehand
        bar.setFixedWidth(72)
        bar.setTextVisible(False)
        self.words = QLabel(tr("Working"))
        stop = QPushButton(tr("Stop"))
        stop.clicked.connect(self.stop_wanted)
        row.addWidget(bar)
        row.addWidget(self.words, 1)
        row.addWidget(stop)
        self.hide()
        self._timer = QTimer(self, singleShot=True, interval=PATIENCE)
        self._timer.timeout.connect(self.show)

    def set_busy(self, on: bool) -> None:
        """Count work that began (``on``) or ended; what takes long is shown."""
        self._count = max(0, self._count + (1 if on else -1))
        if self._count == 0:
            self._timer.stop()
            self.hide()
        elif not self._timer.isActive() and self.isHidden():
            self._timer.start()

    def say(self, words: str) -> None:
        """Name what is being done."""
        self.words.setText(tr(words))

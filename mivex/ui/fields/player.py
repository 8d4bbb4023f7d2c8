"""A small player of a sheet's frames; neighbouring frames can be laid over each other to judge the step."""

from collections.abc import Callable
from typing import Any

import numpy as np
from PySide6.QtCore import QRectF, Qt, QTimer
from PySide6.QtGui import QColor, QImage, QPainter, QPaintEvent
from PySide6.QtWidgets import QHBoxLayout, QLabel, QVBoxLayout, QWidget

from mivex.core.base.kept import cached_or_none, serial
from mivex.core.base.languages import tr
from mivex.core.base.messages import Message
from mivex.core.picture.texture import Texture
from mivex.core.sheet.bleed import cell_texels
from mivex.core.sheet.flow import BETWEEN, halving, preview, preview_key
from mivex.core.sheet.model import Play, Sheet
from mivex.core.sheet.playing import at_time
from mivex.ui import theme

SIDE = 132


class _View(QWidget):
    def __init__(self, player: "FramePlayer") -> None:
        super().__init__()
        self.player = player
        self.setFixedHeight(SIDE)
        self.setAccessibleName(tr("Frames, playing"))

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        p.fillRect(self.rect(), QColor(theme.SURROUND))
        p.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform)
        for image, weight in self.player.pictures():
            k = min(self.width() / image.width(), self.height() / image.height())
            w, h = image.width() * k, image.height() * k
            p.setOpacity(weight)
            p.drawImage(QRectF((self.width() - w) / 2, (self.height() - h) / 2, w, h), image)


class FramePlayer(QWidget):
    """Plays frames as the sheet says.

    Parameters
    ----------
    texture, sheet : callable
        As they are now.
    desk : Desk
        Told which frame is looked at, so that the flat proof marks it.
    worker : LatestOnlyWorker
        Works out what lies between frames where what is seen is moved there.
    """

    def __init__(self, texture: Callable[[], Texture | None], sheet: Callable[[], Sheet], desk: Any, worker: Any) -> None:
        super().__init__()
        self.texture, self.sheet, self.desk, self.worker = texture, sheet, desk, worker
        self._asked: tuple[int, Play] | None = None
        self._images: dict[tuple[int, int], QImage] = {}
        self._time = 0.0
        self._timer = QTimer(self, interval=33)
        self._timer.timeout.connect(self._tick)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 2, 0, 2)
        column.setSpacing(3)
        self.view = _View(self)
        column.addWidget(self.view)
        row = QHBoxLayout()
        row.setSpacing(2)
        back = theme.tool("backward", "One frame back", theme.SOFT)
        back.clicked.connect(lambda: self.go(-1))
        self.run = theme.tool("run", "Play or rest", theme.SOFT)
        self.run.clicked.connect(self.toggle)
        on = theme.tool("onward", "One frame on", theme.SOFT)
        on.clicked.connect(lambda: self.go(1))
        self.over = theme.tool(
            "both", "Lay the frames before and after over it, to judge the step", theme.SOFT, checkable=True
        )
        self.over.clicked.connect(self.refresh)
        for button in (back, self.run, on, self.over):
            row.addWidget(button)
        self.words = QLabel()
        self.words.setObjectName("figure")
        row.addSpacing(6)
        row.addWidget(self.words)
        row.addStretch()
        column.addLayout(row)
        self.refresh()

    @property
    def count(self) -> int:
        """Number of frames of the sheet."""
        t = self.texture()
        return max(1, len(t.traits.cells)) if t is not None else 1

    @property
    def frame(self) -> tuple[int, int, float]:
        """The frame that is shown, the next, and its share."""
        s = self.sheet()
        play = "loop" if s.play == "random" else s.play
        return at_time(self.count, play, s.rate, self._time, blend=s.blend)

    def _image(self, k: int) -> QImage | None:
        t = self.texture()
        if t is None or not t.traits.cells or not 0 <= k < len(t.traits.cells):
            return None
        key = serial(t), k
        if key not in self._images:
            if len(self._images) > 512:
                self._images.clear()
            left, top, right, low = cell_texels(t.traits.cells[k], t.width, t.height)
            rgba = np.ascontiguousarray(np.round(np.clip(t.values[top:low, left:right], 0, 1) * 255).astype(np.uint8))
            made = QImage(rgba.data, right - left, low - top, 4 * (right - left), QImage.Format.Format_RGBA8888).copy()
            self._images[key] = made
        return self._images[key]

    @property
    def _play(self) -> Play:
        play = self.sheet().play
        return "loop" if play == "random" else play

    def _between(self, first: int, after: int, share: float) -> QImage | None:
        """What is moved between two frames; None while it is worked out, or where it is as good as one of them."""
        t, play = self.texture(), self._play
        if t is None:
            return None
        rows = cached_or_none(t, preview_key(play))
        if not isinstance(rows, list):
            if self._asked != (serial(t), play):
                self._asked = serial(t), play
                self.worker.ask(None, lambda _report, stopped: (preview(t, play, SIDE, stopped), halving(t, play, stopped)))
            return None
        step = round(share * BETWEEN)
        forth = after == first + 1 or (play == "loop" and after == 0)
        of, step = (first, step) if forth else (after, BETWEEN - step)
        if not 0 < step < BETWEEN or not rows[of]:
            return None
        key = serial(t), -1 - (of * BETWEEN + step)
        if key not in self._images:
            rgba = np.ascontiguousarray(np.round(np.clip(rows[of][step - 1], 0, 1) * 255).astype(np.uint8))
            h, w = rgba.shape[:2]
            self._images[key] = QImage(rgba.data, w, h, 4 * w, QImage.Format.Format_RGBA8888).copy()
        return self._images[key]

    def pictures(self) -> list[tuple[QImage, float]]:
        """What is shown, with its weight: the frame, faded to the next; or its neighbours faintly over it."""
        first, after, share = self.frame
        n = self.count
        if share > 0 and self.sheet().vectors and not self.over.isChecked():
            image = self._between(first, after, share)
            if image is not None:
                return [(image, 1.0)]
        rows = [(first, 1.0)] + ([(after, share)] if share > 0 else [])
        if self.over.isChecked() and n > 1:
            loops = self.sheet().play == "loop"
            rows = [(k % n, w) for k, w in ((first - 1, 0.4), (first, 1.0), (first + 1, 0.4)) if loops or 0 <= k < n]
        return [(image, w) for k, w in rows if (image := self._image(k)) is not None]

    def toggle(self) -> None:
        """Play, or rest."""
        self._timer.stop() if self._timer.isActive() else self._timer.start()
        self.refresh()

    def go(self, by: int) -> None:
        """Show a frame before or after."""
        self._timer.stop()
        rate = self.sheet().rate
        k = (self.frame[0] + by) % self.count
        self._time = (k + 1e-4) / rate
        self.refresh()

    def _tick(self) -> None:
        self._time += self._timer.interval() / 1000
        s = self.sheet()
        if s.play == "once" and self._time * s.rate > self.count + s.rate * 0.6:
            self._time = 0.0
        self.refresh()

    def refresh(self) -> None:
        """Show the present frame."""
        first = self.frame[0]
        self.run.setIcon(theme.icon("rest" if self._timer.isActive() else "run", theme.SOFT))
        self.words.setText(tr(Message("frame {first} of 0 to {count}", first=first, count=self.count - 1)))
        self.desk.show_frame(first)
        self.view.setAccessibleDescription(tr(self.words.text()))
        self.view.update()


_KEEP = Qt.AspectRatioMode.KeepAspectRatio

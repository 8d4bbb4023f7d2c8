"""What both proofs share: a picture drawn in the background at the size of the widget, and painting on it."""

import time
from collections.abc import Callable
from typing import Any

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QRectF, Qt
from PySide6.QtGui import QColor, QImage, QMouseEvent, QPainter, QPaintEvent, QResizeEvent, QTabletEvent
from PySide6.QtWidgets import QWidget

from mivex.core.base.languages import tr
from mivex.ui import theme
from mivex.ui.session.brush import Spot
from mivex.ui.session.worker import Workers
from mivex.ui.tools.base import ToolDispatcher

Pixels = NDArray[np.uint8]


class Canvas(QWidget):
    """A live picture. Subclasses say how it is drawn and what lies over it."""

    def __init__(self, name: str, workers: Workers) -> None:
        super().__init__()
        self.setMinimumSize(160, 120)
        self.setMouseTracking(True)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setAccessibleName(tr(name))
        self.image: QImage | None = None
        self.token: object = None
        self.message = ""
        self.frames = 0
        self.worker = workers.latest(name.lower().replace(" ", "-"), self.say)
        self.worker.done.connect(self._take)

    def draw_later(self, token: object, make: Callable[[int, int], Pixels], *, dense: bool = True) -> None:
        """Draw in the background; ``make(width, height)`` returns display codes (height, width, 3).

        Width and height are those of the screen's own pixels: on a dense screen there are several to one of the widget's,
        unless what is drawn is not ``dense``.
        """
        ratio = self.devicePixelRatioF() if dense else 1.0
        w, h = max(1, round(self.width() * ratio)), max(1, round(self.height() * ratio))
        self.message = ""

        def work(_report, _stopped):  # type: ignore[no-untyped-def]
            rgb = np.ascontiguousarray(make(w, h))
            # Copied: the array goes when this function ends, and the image would go on pointing at it.
            image = QImage(rgb.data, w, h, w * 3, QImage.Format.Format_RGB888).copy()
            image.setDevicePixelRatio(ratio)
            return image

        self.worker.ask(token, work)

    def say(self, message: str) -> None:
        """Show a sentence in place of a picture."""
        self.worker.halt()
        self.image, self.message = None, message
        self.update()

    def _take(self, token: object, image: object) -> None:
        # A sentence came meanwhile; the late picture would hide it.
        if self.message:
            return
        assert isinstance(image, QImage)
        self.image, self.token = image, token
        self.frames += 1
        self.update()

    def redraw(self) -> None:
        """Ask for a fresh picture; subclasses do it."""

    def paint_over(self, painter: QPainter) -> None:
        """Draw handles and labels over the picture; subclasses may."""

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        p.fillRect(self.rect(), QColor(theme.SURROUND))
        if self.message:
            p.setPen(QColor("#101010"))
            p.setFont(theme.figures_font(13))
            p.drawText(
                QRectF(self.rect()).adjusted(24, 24, -24, -24),
                Qt.AlignmentFlag.AlignCenter | Qt.TextFlag.TextWordWrap,
                tr(self.message),
            )
            return
        if self.image is not None:
            p.drawImage(0, 0, self.image)
            self.paint_over(p)

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        self.redraw()


class PaintableCanvas(Canvas):
    """A canvas whose tools may paint a layer, or choose faces of a mesh.

    Attributes
    ----------
    hand : ToolDispatcher
        The tools, in the order in which they are asked who takes a press.
    layer_painter
        Paints the chosen layer; None before the window has set it.
    stroke_end : Spot or None
        Where the last stroke ended, as shares of the picture: a straight line begins there.
    choose_face : callable or None
        Takes the number of a face that was clicked; None while no faces are chosen.
    """

    hand: ToolDispatcher

    def __init__(self, name: str, workers: Workers) -> None:
        super().__init__(name, workers)
        self.layer_painter: Any = None
        self.stroke_end: Spot | None = None
        self.choose_face: Callable[[int], None] | None = None

    @property
    def on_layer(self) -> bool:
        """A layer is being painted on."""
        return self.layer_painter is not None and self.layer_painter.on

    @property
    def at_work(self) -> bool:
        """A layer is painted on, or faces are chosen."""
        return self.choose_face is not None or self.on_layer

    def tabletEvent(self, event: QTabletEvent) -> None:
        if self.layer_painter is not None:
            self.layer_painter.pen = (float(event.pressure()), time.monotonic())
        # Left to the mouse: it moves the same way, and tools know the mouse alone.
        event.ignore()  # the mouse event that follows draws

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        self.hand.release()

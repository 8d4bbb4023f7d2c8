"""The mouse on layers: painting in the flat proof and on the stage, and choosing faces of a mesh."""

import math
from typing import Any

from PySide6.QtCore import QPointF, Qt

from mivex.ui.tools.base import Drag, Mouse, Tool

LEAP = 0.1
"""On a mesh a stroke that goes farther than this, as shares of the picture, within a few pixels has crossed a seam."""


def _far(a: tuple[float, float], b: tuple[float, float, float]) -> float:
    return math.hypot(a[0] - b[0], a[1] - b[1])


class LayerBrush(Tool):
    """Paints on the chosen layer; the right button clears, Shift goes on from the last stroke, Alt takes values."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        painter = canvas.layer_painter
        if painter is None or not painter.ready or press.button == Qt.MouseButton.MiddleButton:
            return None
        at = canvas.on_canvas(press.at)
        if at is not None and press.holds(Qt.KeyboardModifier.AltModifier):
            painter.take(*at)
            return self._nothing()
        return None if at is None else self._drag(canvas, painter, press, at)

    @staticmethod
    def _nothing() -> Drag:
        while True:
            yield

    @staticmethod
    def _drag(canvas: Any, painter: Any, press: Mouse, at: tuple[float, float]) -> Drag:
        straight = press.holds(Qt.KeyboardModifier.ShiftModifier) and canvas.stroke_end is not None
        painter.begin(*(canvas.stroke_end if straight else at), clearing=press.button == Qt.MouseButton.RightButton)
        if straight:
            painter.add(*at)
        canvas.stroke_grows()
        last, off = press.at, False
        try:
            while True:
                now = yield
                if now.holds(Qt.KeyboardModifier.ShiftModifier) and painter.points:
                    painter.points = painter.points[:1]  # a straight line from where it began
                for spot in canvas.way(last, now.at):
                    if spot is None:
                        off = True
                    elif off or (canvas.leaps and painter.points and _far(spot, painter.points[-1]) > LEAP):
                        painter.go_on(*spot)
                        off = False
                    else:
                        painter.add(*spot)
                last = now.at
                canvas.stroke_grows()
        finally:
            if painter.points:
                canvas.stroke_end = painter.points[-1][:2]
            painter.end()


class FaceClick(Tool):
    """A click chooses what belongs to a face of the mesh, or gives it back."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        if canvas.choose_face is None or press.button != Qt.MouseButton.LeftButton:
            return None
        face = canvas.face_under(press.at)
        if face < 0:
            return None
        canvas.choose_face(face)
        return self._nothing()

    def cursor(self, canvas: Any, at: QPointF) -> Qt.CursorShape | None:
        return Qt.CursorShape.PointingHandCursor if canvas.choose_face is not None else None

    @staticmethod
    def _nothing() -> Drag:
        while True:
            yield

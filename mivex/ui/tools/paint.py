"""The mouse on layers: painting in the flat proof and on the stage, and choosing faces of a mesh."""

from typing import Any

from PySide6.QtCore import QPointF, Qt

from mivex.ui.session.brush import Spot
from mivex.ui.tools.base import Drag, Mouse, Tool


class LayerBrush(Tool):
    """Paints on the chosen layer; the right button clears, Shift goes on from the last stroke, Alt takes values."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        painter = canvas.layer_painter
        if painter is None or not painter.ready or press.button == Qt.MouseButton.MiddleButton:
            return None
        at = canvas.on_canvas(press.at)
        if at is not None and press.holds(Qt.KeyboardModifier.AltModifier):
            painter.take(at.x, at.y)
            return self._nothing()
        return None if at is None else self._drag(canvas, painter, press, at)

    @staticmethod
    def _nothing() -> Drag:
        while True:
            yield

    @staticmethod
    def _drag(canvas: Any, painter: Any, press: Mouse, at: Spot) -> Drag:
        # With Shift a stroke goes on from where the last one ended: long straight lines from point to point.
        straight = press.holds(Qt.KeyboardModifier.ShiftModifier) and canvas.stroke_end is not None
        painter.begin(canvas.stroke_end if straight else at, clearing=press.button == Qt.MouseButton.RightButton)
        if straight:
            painter.add(at)
        canvas.stroke_grows()
        last, off = press.at, False
        try:
            while True:
                now = yield
                if now.holds(Qt.KeyboardModifier.ShiftModifier) and painter.points:
                    painter.restart()  # a straight line from where it began
                    last = press.at if painter.across > 0 else last
                for spot in canvas.way(last, now.at):
                    # Off the canvas nothing is painted; where it comes back another part of the stroke begins.
                    if spot is None:
                        off = True
                    elif off or (canvas.leaps and painter.apart(spot)):
                        painter.go_on(spot)
                        off = False
                    else:
                        painter.add(spot)
                last = now.at
                canvas.stroke_grows()
        finally:
            # Also where the drag is cut off: what has been painted so far is kept as a stroke.
            if painter.points:
                canvas.stroke_end = painter.last
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

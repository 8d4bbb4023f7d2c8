"""The mouse on the flat proof: take a colour, paint, drag a step's handles, the divider, the picture."""

from typing import Any

from PySide6.QtCore import QPointF, Qt

from mivex.ui.tools.base import Drag, Mouse, Tool, far
from mivex.ui.tools.handles import dragged, grip_at, has_handles


class TakeColour(Tool):
    """A click takes the stored colour there, once."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        if not canvas.picking:
            return None
        found = canvas.values_at(press.at, canvas.pick_from)
        if found is None:
            return None
        # Once: the next press is for whatever tool comes next.
        canvas.picking = False
        canvas.unsetCursor()
        canvas.picked.emit(tuple(float(v) for v in found[1][:3]))
        return self._nothing()

    def cursor(self, canvas: Any, at: QPointF) -> Qt.CursorShape | None:
        return Qt.CursorShape.CrossCursor if canvas.picking else None

    @staticmethod
    def _nothing() -> Drag:
        while True:
            yield


class Brush(Tool):
    """Paints a stroke; the right button takes away."""

    # Whatever the canvas's frame is at that moment: a picture may be taken away while it is painted on.

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        frame = canvas.frame if canvas.painting else None
        return None if frame is None else self._drag(canvas, press, frame.whole(press.at))

    @staticmethod
    def _drag(canvas: Any, press: Mouse, first: tuple[float, float]) -> Drag:
        stroke, erase = [first], press.button == Qt.MouseButton.RightButton
        canvas.stroked.emit(tuple(stroke), erase)
        try:
            while True:
                now = yield
                if (frame := canvas.frame) is not None:
                    x, y = frame.whole(now.at)
                    stroke.append((round(x, 4), round(y, 4)))
                    canvas.stroked.emit(tuple(stroke), erase)
        finally:
            canvas.handle_released.emit()


class StepHandles(Tool):
    """Drags the handles of the active step: where a fall-off, a text or a shape lies."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        frame, step = canvas.frame, canvas.step
        if frame is None or step is None or not has_handles(step) or canvas.near_divider(press.at):
            # The divider lies above the handles, where both are under the mouse.
            return None
        grip = grip_at(step, frame, press.at)
        return self._drag(canvas, grip) if grip else None

    @staticmethod
    def _drag(canvas: Any, grip: str) -> Drag:
        try:
            while True:
                now = yield
                if (frame := canvas.frame) is not None and canvas.step is not None:
                    canvas.handle_moved.emit(dragged(canvas.step, frame, grip, now.at))
        finally:
            canvas.handle_released.emit()


class Divider(Tool):
    """Moves the line between before and after."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        return self._drag(canvas) if canvas.near_divider(press.at) else None

    def cursor(self, canvas: Any, at: QPointF) -> Qt.CursorShape | None:
        return Qt.CursorShape.SplitHCursor if canvas.near_divider(at) else None

    @staticmethod
    def _drag(canvas: Any) -> Drag:
        while True:
            now = yield
            # Two hundredths from either side, so that it can always be taken hold of again.
            canvas.divider = min(max(now.at.x() / max(canvas.width(), 1), 0.02), 0.98)
            canvas.redraw()


class PanPicture(Tool):
    """Moves the picture."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        return self._drag(canvas, press)

    @staticmethod
    def _drag(canvas: Any, press: Mouse) -> Drag:
        view = canvas.view
        while True:
            now = yield
            # Two pixels: a click that shakes is still a click.
            if far(now.at, press.at) > 2:
                canvas.pan_to(view.left + now.at.x() - press.at.x(), view.top + now.at.y() - press.at.y())

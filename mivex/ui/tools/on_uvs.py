"""The mouse on the flat proof: move, turn and scale the picture on a mesh's UVs by the frame drawn there."""

from typing import Any

from PySide6.QtCore import QPointF, Qt

from mivex.core.material.material import Mapping
from mivex.ui.tools.base import Drag, Mouse, Tool
from mivex.ui.tools.wires import GRIPS, REACH, moved, spots


def _under(canvas: Any, at: QPointF) -> str:
    if canvas.mapping is None or not canvas.single:
        return ""
    (left, top), (w, h) = canvas.corner, canvas.on_screen
    there = {k: QPointF(left + x * w, top + y * h) for k, (x, y) in spots(canvas.mapping).items()}
    return next((k for k in GRIPS if (there[k] - at).manhattanLength() < 2 * REACH), "")


class OnUvs(Tool):
    """Drags the frame of a mesh's UVs."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        grip = _under(canvas, press.at) if press.button == Qt.MouseButton.LeftButton else ""
        return self._drag(canvas, grip, canvas.mapping) if grip else None

    def cursor(self, canvas: Any, at: QPointF) -> Qt.CursorShape | None:
        return {
            "move": Qt.CursorShape.SizeAllCursor,
            "size": Qt.CursorShape.SizeFDiagCursor,
            "wide": Qt.CursorShape.CrossCursor,
            "high": Qt.CursorShape.CrossCursor,
        }.get(_under(canvas, at))

    @staticmethod
    def _drag(canvas: Any, grip: str, was: Mapping) -> Drag:
        try:
            while True:
                now = yield
                (left, top), (w, h) = canvas.corner, canvas.on_screen
                canvas.mapped.emit(moved(was, grip, ((now.at.x() - left) / w, (now.at.y() - top) / h)))
        finally:
            canvas.handle_released.emit()

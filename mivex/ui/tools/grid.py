"""A sheet's cells over the flat proof: guides, the index of every frame, outlines; and the grips of the first cell."""

from dataclasses import dataclass
from typing import Any

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QColor, QPainter, QPen, QPolygonF

from mivex.core.picture.traits import FrameRect
from mivex.core.sheet.hull import Hull
from mivex.core.sheet.model import Grid
from mivex.ui import theme
from mivex.ui.tools.base import Drag, Mouse, Tool

REACH = 9.0


@dataclass(frozen=True, eq=False)
class Cells:
    """What is drawn over a sheet.

    Attributes
    ----------
    cells : tuple of FrameRect
    hulls : list of Hull, optional
    grid : Grid, optional
        The first grid, by whose first cell the sheet is fitted with the mouse.
    full : (width, height)
        Of the picture that the grid counts its texels in.
    """

    cells: tuple[FrameRect, ...]
    hulls: list[Hull] | None = None
    grid: Grid | None = None
    full: tuple[int, int] = (1, 1)


def grips(c: Cells) -> dict[str, tuple[float, float]]:
    """Where the first cell is taken: its first corner, and its last; as shares of the picture."""
    if c.grid is None:
        return {}
    w, h = c.grid.size(*c.full)
    x, y = c.grid.left / c.full[0], c.grid.top / c.full[1]
    return {"begin": (x, y), "size": (x + w / c.full[0], y + h / c.full[1])}


def paint_cells(p: QPainter, c: Cells, corner: tuple[float, float], size: tuple[float, float], now: int) -> None:
    """Draw guides, indices and outlines; frame ``now`` is light."""
    left, top = corner
    w, h = size
    p.setRenderHint(QPainter.RenderHint.Antialiasing)
    p.setBrush(Qt.BrushStyle.NoBrush)
    # Dark below, light above: lines that are seen on any picture.
    for k, (x0, y0, x1, y1) in enumerate(c.cells):
        box = QRectF(left + x0 * w, top + y0 * h, (x1 - x0) * w, (y1 - y0) * h)
        for colour, wide in ((theme.CASING, 2.4), (theme.CHOSEN if k == now else theme.SOFT, 1.0)):
            p.setPen(QPen(QColor(colour), wide))
            p.drawRect(box)
        if c.hulls:
            hull = c.hulls[k].corners
            shape = QPolygonF(
                [QPointF(box.left() + float(x) * box.width(), box.top() + float(y) * box.height()) for x, y in hull]
            )
            for colour, wide in ((theme.CASING, 3.0), (theme.CHOSEN, 1.2)):
                p.setPen(QPen(QColor(colour), wide))
                p.drawPolygon(shape)
        # In smaller cells a number would hide the frame.
        if box.width() >= 18 and box.height() >= 14:
            tag = QRectF(box.left() + 1, box.top() + 1, 9 + 6 * len(str(k)), 13)
            p.fillRect(tag, QColor(theme.CASING))
            p.setPen(QColor(theme.CHOSEN if k == now else theme.SOFT))
            p.setFont(theme.figures_font(10))
            p.drawText(tag, Qt.AlignmentFlag.AlignCenter, str(k))
    p.setPen(QPen(QColor("#101010"), 1))
    p.setBrush(QColor(theme.CHOSEN))
    for x, y in grips(c).values():
        p.drawRect(QRectF(left + x * w - 4, top + y * h - 4, 8, 8))


class FitGrid(Tool):
    """Drags the first cell's corners: where the grid begins, and how large its cells are."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        grip = self._under(canvas, press.at) if press.button == Qt.MouseButton.LeftButton else ""
        return self._drag(canvas, grip, canvas.cells.grid) if grip else None

    def cursor(self, canvas: Any, at: QPointF) -> Qt.CursorShape | None:
        return {"begin": Qt.CursorShape.SizeAllCursor, "size": Qt.CursorShape.SizeFDiagCursor}.get(self._under(canvas, at))

    @staticmethod
    def _under(canvas: Any, at: QPointF) -> str:
        if canvas.cells is None or not canvas.single:
            return ""
        (left, top), (w, h) = canvas.corner, canvas.on_screen
        return next(
            (
                k
                # The last drawn first: the grip of the size lies above that of the beginning.
                for k, (x, y) in reversed(grips(canvas.cells).items())
                if abs(left + x * w - at.x()) + abs(top + y * h - at.y()) < 2 * REACH
            ),
            "",
        )

    @staticmethod
    def _drag(canvas: Any, grip: str, was: Grid) -> Drag:
        full = canvas.cells.full
        size = was.size(*full)
        try:
            while True:
                now = yield
                (left, top), (w, h) = canvas.corner, canvas.on_screen
                x, y = (now.at.x() - left) / w * full[0], (now.at.y() - top) / h * full[1]
                if grip == "begin":
                    # Moved by its first corner the cells keep their size; a grid that was said by numbers alone gets it
                    # written down.
                    values = {"left": max(round(x), 0), "top": max(round(y), 0), "width": size[0], "height": size[1]}
                else:
                    values = {"width": max(round(x - was.left), 2), "height": max(round(y - was.top), 2)}
                canvas.gridded.emit({k: float(v) for k, v in values.items()})
        finally:
            canvas.handle_released.emit()


def index_at(c: Cells, x: float, y: float) -> int:
    """The frame under a place of the picture; −1: none."""
    for k, (x0, y0, x1, y1) in enumerate(c.cells):
        if x0 <= x < x1 and y0 <= y < y1:
            return k
    return -1


def area_saved(hulls: list[Hull]) -> float:
    """Share of the cells' area that the outlines leave out, in the mean."""
    return 1 - float(np.mean([h.area for h in hulls]))

"""Lines through points on a layer: each press sets a point or takes hold of one; a smooth line goes through them."""

import math
import time
from typing import Any

from PySide6.QtCore import QPointF, Qt

from mivex.core.layers.model import Layer
from mivex.core.layers.strokes import PaintStroke
from mivex.core.project import layer_edits
from mivex.ui.tools.base import Drag, Mouse, Tool

NEAR = 9.0
"""Pixels about a point within which a press takes hold of it."""


class Paths:
    """The lines through points of the layer that is painted on, and the one that further points go to.

    Parameters
    ----------
    painter : LayerPainter
    """

    def __init__(self, painter: Any) -> None:
        self.painter = painter
        self.open: int | None = None
        """Seed of the stroke that the next point goes to; None: it begins another."""

    @property
    def on(self) -> bool:
        """Whether presses set points."""
        return bool(self.painter.session.brush.through_points and self.painter.ready)

    def strokes(self) -> tuple[PaintStroke, ...]:
        """The chosen layer's lines through points, the newest last."""
        s, part = self.painter.session, self.painter.part
        row = s.overlay.layers.row(s.row_id) if s.overlay is not None else None
        if row is None:
            return ()
        if part >= 0:
            held = row.mask.parts[part].strokes if part < len(row.mask.parts) else ()
        else:
            held = row.strokes if isinstance(row, Layer) else ()
        return tuple(x for x in held if x.smooth and not x.surface)

    def held(self, seed: int | None) -> PaintStroke | None:
        """The line of a seed, as it is now."""
        return next((x for x in self.strokes() if x.seed == seed), None)

    def close(self) -> None:
        """The next point begins another line."""
        self.open = None

    def begin(self, x: float, y: float) -> tuple[int, int]:
        """Set a point: on the open line, or as the first of another; its line's seed and its number."""
        line = self.held(self.open)
        if line is None:
            # A seed by the clock: it names the line as long as it is there, and is no other line's.
            seed = int(time.monotonic() * 1000) % (2**31)
            self.open = seed
            b = self.painter.session.brush
            self._put(b.stroke(((x, y, 1.0),), seed, mask=self.painter.part >= 0), "Begin a line", new=True)
            return seed, 0
        self._put(line.model_copy(update={"points": (*line.points, (x, y, 1.0))}), "Add a point")
        return line.seed, len(line.points)

    def move(self, seed: int, number: int, x: float, y: float, since: float) -> None:
        """Move a point; moves of one drag are one step back."""
        line = self.held(seed)
        if line is not None and number < len(line.points):
            points = (*line.points[:number], (x, y, line.points[number][2]), *line.points[number + 1 :])
            self._put(line.model_copy(update={"points": points}), "Move a point", f"point {seed} {number} {since}")

    def remove(self, seed: int, number: int) -> None:
        """Take a point away; without points the line is gone."""
        line = self.held(seed)
        if line is None:
            return
        points = (*line.points[:number], *line.points[number + 1 :])
        if points:
            self._put(line.model_copy(update={"points": points}), "Remove a point")
            return
        s = self.painter.session
        key, row, part = s.overlay_id, s.row_id, self.painter.part
        s.apply(
            "Remove a point",
            lambda d: layer_edits.set_strokes(d, key, row, lambda held: tuple(x for x in held if x.seed != seed), part),
        )

    def _put(self, stroke: PaintStroke, words: str, merge: str = "", *, new: bool = False) -> None:
        s = self.painter.session
        key, row, part = s.overlay_id, s.row_id, self.painter.part

        def change(held: tuple[PaintStroke, ...]) -> tuple[PaintStroke, ...]:
            return tuple(stroke if x.seed == stroke.seed else x for x in held)

        if new:
            s.apply(words, lambda d: layer_edits.put_strokes(d, key, row, (stroke,), part))
        else:
            s.apply(words, lambda d: layer_edits.set_strokes(d, key, row, change, part), merge)

    def under(self, canvas: Any, at: QPointF) -> tuple[int, int] | None:
        """The point under a place: its line's seed and its number; the open line's first."""
        (w, h), z = canvas.size_full, canvas.view.zoom
        best, found = NEAR, None
        # The open line first, so that its points win where lines cross.
        for line in sorted(self.strokes(), key=lambda x: x.seed == self.open, reverse=True):
            for i, (x, y, _) in enumerate(line.points):
                far = math.hypot(canvas.view.left + x * w * z - at.x(), canvas.view.top + y * h * z - at.y())
                if far < best:
                    best, found = far, (line.seed, i)
        return found


class ThroughPoints(Tool):
    """Sets points of a line and moves them; the right button takes one away, or ends the line beside it."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        paths: Paths | None = canvas.paths
        if paths is None or not paths.on or press.button == Qt.MouseButton.MiddleButton:
            return None
        at = canvas.on_canvas(press.at)
        if at is None:
            return None
        hit = paths.under(canvas, press.at)
        if press.button == Qt.MouseButton.RightButton:
            if hit is not None:
                paths.remove(*hit)
            else:
                paths.close()
            canvas.update()
            return self._nothing()
        seed, number = hit if hit is not None else paths.begin(round(at.x, 5), round(at.y, 5))
        return self._drag(canvas, paths, seed, number)

    def cursor(self, canvas: Any, at: QPointF) -> Qt.CursorShape | None:
        if canvas.paths is None or not canvas.paths.on:
            return None
        over = canvas.paths.under(canvas, at) is not None
        return Qt.CursorShape.SizeAllCursor if over else Qt.CursorShape.CrossCursor

    @staticmethod
    def _nothing() -> Drag:
        while True:
            yield

    @staticmethod
    def _drag(canvas: Any, paths: Paths, seed: int, number: int) -> Drag:
        # Names the drag: moves of one drag become one step of undo, another drag another.
        since = time.monotonic()
        try:
            while True:
                now = yield
                spot = canvas.on_canvas(now.at)
                if spot is not None:
                    paths.move(seed, number, round(spot.x, 5), round(spot.y, 5), since)
                    canvas.update()
        finally:
            paths.painter.session.end_merge()
            canvas.update()

"""The picture of the flat proof: pan, zoom, before and after, handles, brush, values under the pointer."""

import math
from dataclasses import replace

from PySide6.QtCore import QPointF, QRect, QRectF, Qt, QTimer, Signal
from PySide6.QtGui import (
    QImage,
    QKeyEvent,
    QMouseEvent,
    QPainter,
    QWheelEvent,
)

from mivex.core.base.messages import Message
from mivex.core.material.material import Mapping
from mivex.core.picture.texture import Texture
from mivex.core.prepare.base import StepParams
from mivex.core.project.in_view import ShownPart, TexturePiece
from mivex.core.proof.flat import FlatView, full_size
from mivex.core.proof.layouts import draw_flat
from mivex.core.stage.face_selection import face_at
from mivex.core.stage.mesh import Mesh
from mivex.ui.proofs.flat_viewport import FlatViewport
from mivex.ui.proofs.layer_painter import shares
from mivex.ui.session.brush import Spot
from mivex.ui.session.worker import Workers
from mivex.ui.tools.base import ToolDispatcher
from mivex.ui.tools.flat import Brush, Divider, PanPicture, StepHandles, TakeColour
from mivex.ui.tools.grid import Cells, FitGrid
from mivex.ui.tools.on_uvs import OnUvs
from mivex.ui.tools.paint import FaceClick, LayerBrush
from mivex.ui.tools.paths import Paths, ThroughPoints
from mivex.ui.tools.wires import Wires


class FlatCanvas(FlatViewport):
    """The picture itself: pan, zoom, divider, values under the pointer."""

    hovered = Signal(object)  # a Message; as str it would lose its template
    picked = Signal(object)
    handle_moved = Signal(object)
    handle_released = Signal()
    mapped = Signal(object)
    gridded = Signal(object)
    stroked = Signal(object, bool)
    rested = Signal(float, float)

    def __init__(self, workers: Workers) -> None:
        super().__init__("Flat proof", workers)
        self.mode = "divider"
        self.painting = False
        self.brush = 0.06
        self.step: StepParams | None = None
        self.step_input: Texture | None = None
        self.pointer = QPointF(-9999, -9999)
        self._flick = QTimer(self, interval=550)
        self._flick.timeout.connect(self._flip)
        self.old_side = False
        self.texture: Texture | None = None
        self.before: Texture | None = None
        self.piece: TexturePiece | None = None
        self.view = FlatView()
        self.compare = False
        self.divider = 0.5
        self.picking = False
        self.pick_from: Texture | None = None
        self.mesh: Mesh | None = None
        self.faces: frozenset[int] = frozenset()
        self.uv_set = 0
        self.wires = Wires()
        self.mapping: Mapping | None = None
        self.cells: Cells | None = None
        self.frame_now = -1
        self.patches = 0
        self.paths: Paths | None = None
        self.words = ("Before", "After")
        self._resting = QTimer(self, singleShot=True, interval=160)
        self._resting.timeout.connect(self._rest)
        self.marked: tuple[int, int, int, int] | None = None
        self.hand = ToolDispatcher(
            self,
            (
                *(TakeColour(), FaceClick(), OnUvs(), FitGrid(), ThroughPoints(), LayerBrush()),
                *(Brush(), StepHandles(), Divider(), PanPicture()),
            ),
        )

    def put(self, texture: Texture, before: Texture | None, *, fresh: bool, piece: TexturePiece | None = None) -> None:
        """Show a texture, and over it a piece of it at full size; ``fresh`` fits it into the window."""
        grown = self.texture is None or self.size_full != full_size(texture)
        self.texture, self.before, self.piece = texture, before, piece
        if fresh or grown:
            self.marked = None  # it was a place in another frame
            self.fit()
        else:
            self.redraw()

    def looked_at(self, overlay: str) -> ShownPart:
        """What of an overlay is on the screen; nothing where it is shown in another way than by itself."""
        v, k = self.view, self.devicePixelRatioF()
        box = (
            math.floor(-v.top / v.zoom),
            math.ceil((self.height() - v.top) / v.zoom),
            math.floor(-v.left / v.zoom),
            math.ceil((self.width() - v.left) / v.zoom),
        )
        return ShownPart(overlay, v.zoom * k, box if self.single else (0, 0, 0, 0))

    def set_compare(self, on: bool, mode: str) -> None:
        """Show before and after: ``divider``, ``beside`` or ``flicker``."""
        self.compare, self.mode = on, mode
        self.old_side = False
        if on and mode == "flicker":
            self._flick.start()
        else:
            self._flick.stop()
        self.redraw()

    def _rest(self) -> None:
        if self.texel_at(self.pointer) is not None:
            spot = shares(self, self.pointer)
            self.rested.emit(spot.x, spot.y)

    def _flip(self) -> None:
        self.old_side = not self.old_side
        self.redraw()

    def redraw(self) -> None:
        t = self.texture
        if t is None:
            return
        view, before, divider = self.screen_view, self.before if self.compare else None, self.divider
        if view.layout != "single":
            before = self.before if view.layout == "magnify" else None
        elif self.mode == "flicker" and before is not None:
            if self.old_side:
                view = replace(view, zoom=view.zoom * self.size_full[0] / full_size(before)[0])
                t = before
            before = None
        beside = self.mode == "beside"
        piece = self.piece if t is self.texture and not beside else None
        self.draw_later(
            (t.key, piece and piece.box, view),
            lambda w, h: draw_flat(t, view, w, h, before, divider, beside, piece),
            dense=self.single,
        )

    def resizeEvent(self, event) -> None:  # type: ignore[no-untyped-def]
        if self.texture is not None:
            self.aim_again()
            # More of it may be seen now, though its place and zoom stay: a line of progress came or went below.
            self.zoomed.emit()
        super().resizeEvent(event)

    def on_canvas(self, at: QPointF) -> Spot | None:
        """A place as shares of the picture, outside it too; None where it is shown in another way."""
        return shares(self, at) if self.texture is not None and self.single else None

    leaps = False

    def way(self, _before: QPointF, now: QPointF) -> list[Spot | None]:
        """Places that a drag goes through; in the picture itself the last one is enough."""
        return [self.on_canvas(now)]

    def stroke_grows(self) -> None:
        """The stroke under the pointer has grown: draw what it adds."""
        self.layer_painter.draw(self.screen_view)
        self.update()

    def patch(self, image: QImage, where: QRect) -> None:
        """Put a piece over the picture until the next one is drawn."""
        if self.image is not None:
            k = self.image.devicePixelRatio()
            image.setDevicePixelRatio(k)
            p = QPainter(self.image)
            p.drawImage(QPointF(where.topLeft()) / k, image)
            p.end()
            self.patches += 1
            self.update(
                QRectF(where.x() / k, where.y() / k, where.width() / k, where.height() / k)
                .toAlignedRect()
                .adjusted(-2, -2, 2, 2)
            )

    def face_under(self, at: QPointF) -> int:
        """The mesh's face under a place; −1: none."""
        spot = self.on_canvas(at)
        return -1 if spot is None or self.mesh is None else face_at(self.mesh, spot.x, spot.y, self.uv_set)

    def texel_at(self, at: QPointF) -> tuple[int, int] | None:
        """The texel of level 0 under a place, or None outside."""
        w, h = self.size_full
        shift = 0.0
        if self.compare and self.mode == "beside":
            shift = self.width() / 4 * (-1 if at.x() < self.width() / 2 else 1)
        x, y = (at.x() - self.view.left - shift) / self.view.zoom, (at.y() - self.view.top) / self.view.zoom
        return (int(x), int(y)) if 0 <= x < w and 0 <= y < h and self.single else None

    def values_at(self, at: QPointF, of: Texture | None = None) -> tuple[tuple[int, int], list[float]] | None:
        """Texel and its stored RGBA under a place, from the side of the divider that it lies on."""
        spot = self.texel_at(at)
        old = self.compare and (self.old_side if self.mode == "flicker" else at.x() < self.width() * self.split)
        t = of or (self.before if old else self.texture)
        if spot is None or t is None:
            return None
        full = self.size_full
        piece = self.piece if of is None and not old else None
        if piece is not None:
            x, y = (int(v * n / f) for v, n, f in zip(spot, piece.size, full, strict=True))
            top, low, left, right = piece.box
            if top <= y < low and left <= x < right:
                return spot, [float(v) for v in piece.texture.values[y - top, x - left]]
        # Before and after may differ in size.
        y = min(int(spot[1] * t.height / full[1]), t.height - 1)
        x = min(int(spot[0] * t.width / full[0]), t.width - 1)
        return spot, [float(v) for v in t.values[y, x]]

    def near_divider(self, at: QPointF) -> bool:
        """Whether a press there takes the line between before and after."""
        return self.compare and self.single and self.mode == "divider" and abs(at.x() - self.width() * self.divider) < 7

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self.hand.press(event)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        at = event.position()
        self.pointer = at
        if self.painting or self.on_layer:
            self.update()
        if self.view.show == "lit" and self.single and not self.hand.busy:
            w, h = self.size_full
            spot = ((at.x() - self.view.left) / self.view.zoom / w, (at.y() - self.view.top) / self.view.zoom / h)
            self.view = replace(self.view, light=(round(spot[0], 3), round(spot[1], 3)))
            self.redraw()
        self.hand.move(event)
        self._resting.start()
        found = self.values_at(at)
        if found is None:
            self.hovered.emit("")
            return
        (x, y), v = found
        codes = " ".join(f"{round(c * 255):>3}" for c in v)
        self.hovered.emit(
            Message(
                "{x}, {y}    R {v:.3f}  G {v2:.3f}  B {v3:.3f}  A {v4:.3f}    {codes}",
                x=x,
                y=y,
                v=v[0],
                v2=v[1],
                v3=v[2],
                v4=v[3],
                codes=codes,
            )
        )

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        if self.paths is not None and self.paths.on:
            self.end_line()
        else:
            self.fit()

    def end_line(self) -> bool:
        """End the line that points are being set on; whether there was one."""
        was = self.paths is not None and self.paths.open is not None
        if self.paths is not None:
            self.paths.close()
            self.update()
        return was

    def keyPressEvent(self, event: QKeyEvent) -> None:
        if event.key() in (Qt.Key.Key_Return, Qt.Key.Key_Enter) and self.end_line():
            event.accept()
        else:
            super().keyPressEvent(event)

    def leaveEvent(self, _event) -> None:  # type: ignore[no-untyped-def]
        self.hovered.emit("")

    def wheelEvent(self, event: QWheelEvent) -> None:
        if self.texture is None or not self.single:
            return
        factor = 1.25 ** (event.angleDelta().y() / 120)
        if self.on_layer and event.modifiers() & Qt.KeyboardModifier.ControlModifier:
            self.layer_painter.grow_tip(factor)
            return
        if self.painting and event.modifiers() & Qt.KeyboardModifier.ControlModifier:
            self.brush = min(max(self.brush * factor, 0.004), 1.0)
            self.update()
            return
        self.zoom_by(factor, event.position())

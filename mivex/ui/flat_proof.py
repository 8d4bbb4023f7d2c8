"""The flat proof: the texture on its own, with its instruments."""

from dataclasses import replace
from typing import Any

from PySide6.QtCore import QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QColor, QMouseEvent, QPainter, QPen, QWheelEvent
from PySide6.QtWidgets import QButtonGroup, QColorDialog, QHBoxLayout, QLabel, QToolButton, QVBoxLayout, QWidget

from mivex.core.image.colour import hex_of
from mivex.core.image.texture import Texture
from mivex.core.proof.flat import BACKDROPS, SHOWS, FlatView, draw_flat, level_boxes
from mivex.ui import theme
from mivex.ui.canvas import Canvas
from mivex.ui.engine import Engine
from mivex.ui.fields import QuietCombo
from mivex.ui.session import Session


class FlatCanvas(Canvas):
    """The picture itself: pan, zoom, divider, values under the pointer."""

    hovered = Signal(str)
    zoomed = Signal()
    picked = Signal(object)

    def __init__(self) -> None:
        super().__init__("Flat proof")
        self.texture: Texture | None = None
        self.before: Texture | None = None
        self.view = FlatView()
        self.compare = False
        self.divider = 0.5
        self.picking = False
        self.marked: tuple[int, int, int, int] | None = None
        # What the view is aimed at, kept when the widget changes size: everything, a place, or nothing.
        self._aim: str | tuple[int, int, int, int] = "all"
        self._drag: tuple[str, QPointF, FlatView] | None = None

    @property
    def size_full(self) -> tuple[int, int]:
        """Width and height of the texture at full size."""
        t = self.texture
        return (1, 1) if t is None else t.full_size if t.scale < 1 else (t.width, t.height)

    def put(self, texture: Texture, before: Texture | None, *, fresh: bool) -> None:
        """Show a texture; ``fresh`` fits it into the window."""
        grown = self.texture is None or self.size_full != (texture.full_size if texture.scale < 1
                                                            else (texture.width, texture.height))
        self.texture, self.before = texture, before
        if fresh or grown:
            self.marked = None if fresh else self.marked
            self.fit()
        else:
            self.redraw()

    def fit(self) -> None:
        """Show the whole picture."""
        w, h = self.size_full
        zoom = min((self.width() - 24) / w, (self.height() - 24) / h, 32.0)
        self._zoom_to(max(zoom, 0.01), aim="all")

    def _zoom_to(self, zoom: float, *, aim: str = "") -> None:
        w, h = self.size_full
        self._aim = aim
        self.set_view(zoom=zoom, left=round((self.width() - w * zoom) / 2), top=round((self.height() - h * zoom) / 2))

    def actual(self) -> None:
        """One texel to one pixel."""
        self._zoom_to(1.0)

    def go_to(self, place: tuple[int, int, int, int]) -> None:
        """Bring a place in texels into view and mark it."""
        x, y, w, h = place
        self.marked = place
        full = self.size_full
        if w * h > 0.3 * full[0] * full[1]:
            self.fit()
            return
        self._aim = place
        zoom = min(self.width() / max(w * 4, 24), self.height() / max(h * 4, 24), 24.0)
        zoom = max(zoom, min(self.width() / full[0], self.height() / full[1]) * 0.9)
        self.set_view(levels=False, zoom=zoom, left=self.width() / 2 - (x + w / 2) * zoom,
                      top=self.height() / 2 - (y + h / 2) * zoom)

    def set_view(self, **values: object) -> None:
        """Change what is shown."""
        self.view = replace(self.view, **values)  # type: ignore[arg-type]
        self.zoomed.emit()
        self.redraw()

    def redraw(self) -> None:
        t = self.texture
        if t is None:
            return
        view, before, divider = self.view, self.before if self.compare else None, self.divider
        self.draw_later((t.key, view), lambda w, h: draw_flat(t, view, w, h, before, divider))

    def resizeEvent(self, event) -> None:  # type: ignore[no-untyped-def]
        if self.texture is not None:
            if self._aim == "all":
                self.fit()
            elif isinstance(self._aim, tuple):
                self.go_to(self._aim)
        super().resizeEvent(event)

    def paint_over(self, p: QPainter) -> None:
        p.setFont(theme.figures_font(11))
        w, h = self.size_full
        if self.view.levels and self.texture is not None:
            m = self.texture.mips
            p.setPen(QColor("#101010"))
            for i, (x, y, bw, bh) in enumerate(level_boxes(m.levels, self.width(), self.height(), w / h)):
                p.drawText(QRectF(x - 4, y + bh + 1, bw + 8, 16), Qt.AlignmentFlag.AlignCenter,
                           f"{i} · {m.widths[i]}×{m.heights[i]}" if bw > 64 else str(i))
            return
        z, left, top = self.view.zoom, self.view.left, self.view.top
        if self.marked:
            x, y, mw, mh = self.marked
            box = QRectF(left + x * z, top + y * z, mw * z, mh * z).adjusted(-2, -2, 2, 2)
            p.setBrush(Qt.BrushStyle.NoBrush)
            p.setPen(QPen(QColor("#101010"), 3))
            p.drawRect(box)
            p.setPen(QPen(QColor(theme.ACCENT), 1.4))
            p.drawRect(box)
        if self.compare:
            x = round(self.width() * self.divider)
            p.setPen(QPen(QColor("#101010"), 3))
            p.drawLine(x, 0, x, self.height())
            p.setPen(QPen(QColor(theme.TEXT), 1))
            p.drawLine(x, 0, x, self.height())
            for text, box, side in (("Before", QRectF(x - 76, 8, 66, 20), Qt.AlignmentFlag.AlignRight),
                                    ("After", QRectF(x + 10, 8, 66, 20), Qt.AlignmentFlag.AlignLeft)):
                wide = p.fontMetrics().horizontalAdvance(text) + 12
                tag = QRectF(box.right() - wide if side == Qt.AlignmentFlag.AlignRight else box.left(), 8, wide, 18)
                p.setPen(Qt.PenStyle.NoPen)
                p.setBrush(QColor(theme.GROUND))
                p.drawRoundedRect(tag, 3, 3)
                p.setPen(QColor(theme.TEXT))
                p.drawText(tag, Qt.AlignmentFlag.AlignCenter, text)

    def texel_at(self, at: QPointF) -> tuple[int, int] | None:
        """The texel of level 0 under a place, or None outside."""
        w, h = self.size_full
        x, y = (at.x() - self.view.left) / self.view.zoom, (at.y() - self.view.top) / self.view.zoom
        return (int(x), int(y)) if 0 <= x < w and 0 <= y < h and not self.view.levels else None

    def values_at(self, at: QPointF) -> tuple[tuple[int, int], list[float]] | None:
        """Texel and its stored RGBA under a place, from the side of the divider that it lies on."""
        spot = self.texel_at(at)
        t = self.before if self.compare and at.x() < self.width() * self.divider else self.texture
        if spot is None or t is None:
            return None
        # Before and after may differ in size.
        full = self.size_full
        y = min(int(spot[1] * t.height / full[1]), t.height - 1)
        x = min(int(spot[0] * t.width / full[0]), t.width - 1)
        return spot, [float(v) for v in t.values[y, x]]

    def _near_divider(self, at: QPointF) -> bool:
        return self.compare and not self.view.levels and abs(at.x() - self.width() * self.divider) < 7

    def mousePressEvent(self, event: QMouseEvent) -> None:
        at = event.position()
        if self.picking and (found := self.values_at(at)):
            self.picking = False
            self.unsetCursor()
            self.picked.emit(tuple(round(v, 4) for v in found[1][:3]))
            return
        self._drag = ("divider" if self._near_divider(at) else "pan", at, self.view)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        at = event.position()
        if self._drag and self._drag[0] == "divider":
            self.divider = min(max(at.x() / max(self.width(), 1), 0.02), 0.98)
            self.redraw()
        elif self._drag:
            _, start, view = self._drag
            if (at - start).manhattanLength() > 2:
                self._aim = ""
                self.set_view(left=view.left + at.x() - start.x(), top=view.top + at.y() - start.y())
        elif not self.picking:
            self.setCursor(Qt.CursorShape.SplitHCursor if self._near_divider(at) else Qt.CursorShape.ArrowCursor)
        found = self.values_at(at)
        if found is None:
            self.hovered.emit("")
            return
        (x, y), v = found
        codes = " ".join(f"{round(c * 255):>3}" for c in v)
        self.hovered.emit(f"{x}, {y}    R {v[0]:.3f}  G {v[1]:.3f}  B {v[2]:.3f}  A {v[3]:.3f}    {codes}")

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        self._drag = None

    def mouseDoubleClickEvent(self, _event: QMouseEvent) -> None:
        self.fit()

    def leaveEvent(self, _event) -> None:  # type: ignore[no-untyped-def]
        self.hovered.emit("")

    def wheelEvent(self, event: QWheelEvent) -> None:
        if self.texture is None or self.view.levels:
            return
        factor = 1.25 ** (event.angleDelta().y() / 120)
        self.zoom_by(factor, event.position())

    def zoom_by(self, factor: float, at: QPointF) -> None:
        """Zoom about a place on the widget."""
        w, h = self.size_full
        zoom = min(max(self.view.zoom * factor, 8 / max(w, h)), 128.0)
        k = zoom / self.view.zoom
        self._aim = ""
        self.set_view(zoom=zoom, left=at.x() - (at.x() - self.view.left) * k,
                      top=at.y() - (at.y() - self.view.top) * k)


class Swatch(QToolButton):
    """A button that shows a backdrop."""

    def __init__(self, key: str) -> None:
        super().__init__()
        self.key, self.colour = key, {"black": "#000000", "white": "#ffffff", "grey": "#808080"}.get(key, "")
        self.setCheckable(True)
        self.setFixedSize(24, 24)
        self.setToolTip(f"Backdrop: {BACKDROPS[key].lower()}")
        self.setAccessibleName(self.toolTip())

    def paintEvent(self, _event) -> None:  # type: ignore[no-untyped-def]
        p = QPainter(self)
        box = self.rect().adjusted(4, 4, -4, -4)
        if self.key == "checker":
            for i in range(4):
                for j in range(4):
                    p.fillRect(box.x() + i * 4, box.y() + j * 4, 4, 4, QColor("#949494" if (i + j) & 1 else "#6b6b6b"))
        else:
            p.fillRect(box, QColor(self.colour))
        p.setPen(QPen(QColor(theme.ACCENT if self.isChecked() else theme.EDGE), 2 if self.isChecked() else 1))
        p.drawRect(box.adjusted(-1, -1, 0, 0))


class FlatProof(QWidget):
    """Canvas with its header and its line of values."""

    def __init__(self, session: Session, engine: Engine) -> None:
        super().__init__()
        self.session, self.engine = session, engine
        self.canvas = FlatCanvas()
        self._shown = ""
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        column.addWidget(self._header())
        column.addWidget(self.canvas, 1)
        self.values = QLabel(" ")
        self.values.setObjectName("figure")
        self.values.setFont(theme.figures_font(11))
        self.values.setContentsMargins(10, 3, 10, 3)
        self.values.setMinimumWidth(0)
        column.addWidget(self.values)
        self._hovered = ""
        self.canvas.hovered.connect(self._take_hover)
        self.canvas.zoomed.connect(self._update_header)
        session.chosen.connect(self.refresh)
        session.changed.connect(self.refresh)
        engine.prepared.connect(lambda key: self.refresh() if key == session.overlay_id else None)
        self._update_header()
        self.refresh()

    def _header(self) -> QWidget:
        head = QWidget()
        head.setObjectName("strip")
        head.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        column = QVBoxLayout(head)
        head.setFixedHeight(theme.HEAD)
        column.setContentsMargins(8, 5, 8, 5)
        column.setSpacing(3)
        top, low = QHBoxLayout(), QHBoxLayout()
        for row in (top, low):
            row.setSpacing(2)
            column.addLayout(row)
        self.show_box = QuietCombo()
        self.show_box.setAccessibleName("What the flat proof shows")
        self.show_box.addItems(list(SHOWS.values()))
        self.show_box.setFixedWidth(118)
        self.show_box.activated.connect(lambda i: self.canvas.set_view(show=list(SHOWS)[i]))
        top.addWidget(self.show_box)
        top.addSpacing(6)
        self.swatches = QButtonGroup(self)
        for key in BACKDROPS:
            button = Swatch(key)
            button.clicked.connect(lambda _=False, k=key: self.set_backdrop(k))  # type: ignore[misc]
            self.swatches.addButton(button)
            top.addWidget(button)
        top.addStretch()
        self.compare = theme.tool("divide", "Before and after, with a divider to drag   (D)", checkable=True)
        self.compare.toggled.connect(self._set_compare)
        fit = theme.tool("fit", "Show the whole picture   (F)")
        fit.clicked.connect(self.canvas.fit)
        actual = theme.tool("actual", "One texel to one pixel   (Shift+F)")
        actual.clicked.connect(self.canvas.actual)
        for b in (self.compare, fit, actual):
            top.addWidget(b)
        name = QLabel("Mip level")
        name.setObjectName("soft")
        low.addWidget(name)
        self.finer = theme.tool("down", "Finer level   ([)")
        self.coarser = theme.tool("up", "Coarser level   (])")
        self.finer.clicked.connect(lambda: self.step_level(-1))
        self.coarser.clicked.connect(lambda: self.step_level(1))
        self.level = QLabel("0")
        self.level.setFont(theme.figures_font())
        self.level.setFixedWidth(104)
        self.level.setAlignment(Qt.AlignmentFlag.AlignCenter)
        low.addSpacing(4)
        for w in (self.finer, self.level, self.coarser):
            low.addWidget(w)
        low.addSpacing(4)
        self.all_levels = theme.tool("levels", "Every mip level, drawn at the same size   (L)", checkable=True)
        self.all_levels.toggled.connect(lambda on: self.canvas.set_view(levels=on))
        low.addWidget(self.all_levels)
        low.addStretch()
        self.zoom = QLabel("100 %")
        self.zoom.setObjectName("soft")
        self.zoom.setFont(theme.figures_font())
        low.addWidget(self.zoom)
        return head

    def set_backdrop(self, key: str) -> None:
        """Choose the backdrop; choosing the own colour again asks for another one."""
        if key == "own" and self.canvas.view.backdrop == "own":
            chosen = QColorDialog.getColor(QColor.fromRgbF(*self.canvas.view.own), self, "Backdrop",
                                           QColorDialog.ColorDialogOption.DontUseNativeDialog)
            if chosen.isValid():
                self.canvas.set_view(own=(chosen.redF(), chosen.greenF(), chosen.blueF()))
        self.canvas.set_view(backdrop=key, show="over" if self.canvas.view.show == "fringe" else self.canvas.view.show)

    def next_backdrop(self) -> None:
        """Go on to the next backdrop."""
        keys = list(BACKDROPS)
        self.canvas.set_view(backdrop=keys[(keys.index(self.canvas.view.backdrop) + 1) % len(keys)])

    def step_level(self, by: int) -> None:
        """Show a coarser or finer mip level."""
        t = self.canvas.texture
        if t is not None:
            self.canvas.set_view(level=min(max(self.canvas.view.level + by, 0), t.mips.levels - 1))

    def _set_compare(self, on: bool) -> None:
        self.canvas.compare = on
        if on and self.all_levels.isChecked():
            self.all_levels.setChecked(False)
        self.canvas.redraw()

    def _idle_text(self) -> str:
        v = self.canvas.view
        if self.canvas.texture is None:
            return " "
        if v.show == "fringe":
            return "Brighter: filtering lets more hidden colour through. Black: clear."
        if v.levels:
            return "Every mip level at the size of the first: what distance leaves of it."
        return "Wheel zooms, drag moves. Values appear under the pointer."

    def _update_header(self) -> None:
        v = self.canvas.view
        self.show_box.setCurrentIndex(list(SHOWS).index(v.show))
        for b in self.swatches.buttons():
            assert isinstance(b, Swatch)
            b.setChecked(b.key == v.backdrop)
            b.setEnabled(v.show == "over")
            if b.key == "own":
                b.colour = hex_of(v.own)
                b.update()
        t = self.canvas.texture
        self.finer.setEnabled(False)
        self.coarser.setEnabled(False)
        if t is not None:
            level = min(v.level, t.mips.levels - 1)
            self.level.setText(f"{level} · {t.mips.widths[level]}×{t.mips.heights[level]}")
            self.finer.setEnabled(level > 0)
            self.coarser.setEnabled(level < t.mips.levels - 1)
        self.zoom.setText("all levels" if v.levels else f"{v.zoom * 100:.0f} %")
        self.values.setText(self._hovered or self._idle_text())

    def _take_hover(self, text: str) -> None:
        self._hovered = text
        self.values.setText(text or self._idle_text())

    def refresh(self) -> None:
        """Show the selected overlay's texture, or say why there is none."""
        o = self.session.overlay
        if o is None:
            self.canvas.texture = None
            self._shown = ""
            self.canvas.say("Drop pictures here to begin.\n\nPNG, TGA, TIFF, OpenEXR, WebP or JPEG; each becomes "
                            "an overlay in the rack.")
            return
        texture = self.engine.textures.get(o.id)
        if texture is None:
            self.canvas.texture = None
            self._shown = ""
            why = self.engine.problems.get(o.id)
            self.canvas.say(why or ("Reading …" if o.source.ready else "This overlay has no picture yet.\n\n"
                                    "Choose one at the station Source."))
            return
        m = o.material
        look: dict[str, Any] = {"blend": m.blend, "opacity": m.opacity, "cutoff": m.cutoff, "tint": m.tint}
        changed = any(getattr(self.canvas.view, k) != v for k, v in look.items())
        if changed:
            self.canvas.view = replace(self.canvas.view, **look)
        if self.canvas.texture is texture and self._shown == o.id:
            if changed:
                self.canvas.redraw()
            return
        fresh = self._shown != o.id
        self._shown = o.id
        if self.canvas.view.level >= texture.mips.levels:
            self.canvas.view = replace(self.canvas.view, level=texture.mips.levels - 1)
        self.canvas.put(texture, self.engine.befores.get(o.id), fresh=fresh)
        self._update_header()

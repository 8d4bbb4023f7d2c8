"""What is drawn over the flat proof's picture: words, places, handles, tips, wires, before and after."""

from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QColor, QPainter, QPen, QPolygonF

from mivex.core.base.languages import tr
from mivex.core.layers.ribbons import line_of
from mivex.core.material.material import Mapping
from mivex.core.picture.texture import Texture
from mivex.core.prepare.base import StepParams
from mivex.core.proof.captions import labels
from mivex.core.proof.flat import FlatView, full_size
from mivex.core.stage.mesh import Mesh
from mivex.ui import theme
from mivex.ui.proofs.canvas import PaintableCanvas
from mivex.ui.tools.grid import Cells, paint_cells
from mivex.ui.tools.handles import Frame, draw_handles, draw_pivot, has_handles
from mivex.ui.tools.paths import Paths
from mivex.ui.tools.wires import Wires, paint_frame


class PictureMarks(PaintableCanvas):
    """A canvas with a picture and what is marked on it.

    Attributes
    ----------
    view : FlatView
        How the picture is shown and where it lies.
    compare, mode, divider, old_side
        Before and after: whether, how, where the line is as a share of the width, which side flickers now.
    painting, brush, pointer
        A step's mask is painted; radius as a share of the frame's shorter side; where the mouse is.
    """

    texture: Texture | None
    before: Texture | None
    view: FlatView
    mode: str
    compare: bool
    divider: float
    old_side: bool
    words: tuple[str, str]
    paths: Paths | None
    marked: tuple[int, int, int, int] | None
    step: StepParams | None
    step_input: Texture | None
    painting: bool
    brush: float
    pointer: QPointF
    mesh: Mesh | None
    faces: frozenset[int]
    uv_set: int
    wires: Wires
    mapping: Mapping | None
    cells: Cells | None
    frame_now: int

    @property
    def size_full(self) -> tuple[int, int]:
        """Width and height of the texture at full size."""
        return (1, 1) if self.texture is None else full_size(self.texture)

    @property
    def single(self) -> bool:
        """The picture itself is shown, not a layout of several."""
        return self.view.layout == "single"

    @property
    def frame(self) -> Frame | None:
        """Where the frame of the active step lies, if it can be placed in the picture."""
        if self.texture is None or self.step_input is None or not self.single:
            return None
        return Frame.of(self.step_input, self.texture, self.view.left, self.view.top, self.view.zoom)

    @property
    def corner(self) -> tuple[float, float]:
        """Where the picture begins on the screen."""
        return self.view.left, self.view.top

    @property
    def on_screen(self) -> tuple[float, float]:
        """Pixels that the whole picture takes."""
        w, h = self.size_full
        return w * self.view.zoom, h * self.view.zoom

    @property
    def split(self) -> float:
        """Where the two sides meet, as a share of the width."""
        return 0.5 if self.mode == "beside" else self.divider

    def paint_over(self, p: QPainter) -> None:
        p.setFont(theme.figures_font(11))
        if self.single or self.texture is None:
            self._paint_marks(p)
        else:
            self._paint_captions(p)

    def _paint_captions(self, p: QPainter) -> None:
        """The words of a layout of several pictures, each in its place."""
        assert self.texture is not None
        p.setPen(QColor("#101010"))
        for note in labels(self.texture, self.view.layout, self.width(), self.height()):
            p.drawText(QRectF(note.x - 4, note.y, note.width + 8, 16), Qt.AlignmentFlag.AlignCenter, tr(note.text))

    def _paint_marks(self, p: QPainter) -> None:
        """What lies over the picture: a finding's place, handles, the pivot, the brush, wires, cells, before and after."""
        z, left, top = self.view.zoom, self.view.left, self.view.top
        if self.marked:
            x, y, mw, mh = self.marked
            box = QRectF(left + x * z, top + y * z, mw * z, mh * z).adjusted(-2, -2, 2, 2)
            p.setBrush(Qt.BrushStyle.NoBrush)
            p.setPen(QPen(QColor("#101010"), 3))
            p.drawRect(box)
            p.setPen(QPen(QColor(theme.FINDING), 1.4))
            p.drawRect(box)
        frame = self.frame
        if frame is not None and not self.painting and self.step is not None and has_handles(self.step):
            draw_handles(p, self.step, frame)
        if self.texture is not None and self.texture.pivot != (0.5, 0.5):
            w, h = self.size_full
            draw_pivot(p, QPointF(left + self.texture.pivot[0] * w * z, top + self.texture.pivot[1] * h * z))
        # The ring has the tip's size in the frame that is painted in, whatever is cut off around it.
        if self.painting and frame is not None:
            p.setRenderHint(QPainter.RenderHint.Antialiasing)
            for colour, pen in ((theme.CASING, 3.0), (theme.TEXT, 1.2)):
                p.setPen(QPen(QColor(colour), pen))
                p.drawEllipse(self.pointer, self.brush * frame.short, self.brush * frame.short)
        if self.mesh is not None:
            self._paint_wires(p)
        if self.cells is not None:
            paint_cells(p, self.cells, self.corner, self.on_screen, self.frame_now)
        if self.on_layer and self.texture is not None:
            self._paint_tip(p)
            if self.paths is not None and self.paths.on and self.single:
                self._paint_lines(p)
        if self.compare:
            self._paint_compare(p)

    def _paint_wires(self, p: QPainter) -> None:
        """Outlines of the mesh's UVs, and the chosen faces; the frame by which the picture is moved on them."""
        (left, top), (w, h) = self.corner, self.on_screen
        assert self.mesh is not None
        p.save()
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        p.translate(left, top)
        p.scale(w, h)
        self.wires.paint(p, self.mesh, self.uv_set, self.faces, self.mapping)
        p.restore()
        if self.mapping is not None:
            paint_frame(p, QPointF(left, top), (w, h), self.mapping)

    def _paint_tip(self, p: QPainter) -> None:
        """The tip under the pointer: a ring paints, a broken ring clears; softening and drawing out have a mark within."""
        b, (w, h) = self.layer_painter.session.brush, self.size_full
        r = max(b.tip.size * min(w, h) * self.view.zoom / 2, 2.0)
        at = self.pointer
        clears = b.does == "clear" or self.layer_painter.clearing
        # Both are drawn above everything else: it is what the hand is looking for.
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        p.setBrush(Qt.BrushStyle.NoBrush)
        for colour, width in ((theme.CASING, 3.0), (theme.TEXT, 1.2)):
            dotted = clears and colour == theme.TEXT
            pen = QPen(QColor(colour), width, Qt.PenStyle.DotLine if dotted else Qt.PenStyle.SolidLine)
            p.setPen(pen)
            p.drawEllipse(at, r, r)
            if b.does == "soften":
                p.drawEllipse(at, r * 0.4, r * 0.4)
            elif b.does == "smudge":
                p.drawLine(at - QPointF(r * 0.5, 0), at + QPointF(r * 0.5, 0))
            elif clears:
                p.drawLine(at - QPointF(3, 3), at + QPointF(3, 3))
        if b.area and len(self.layer_painter.points) > 1:
            line = QPolygonF(
                [
                    QPointF(self.view.left + x * w * self.view.zoom, self.view.top + y * h * self.view.zoom)
                    for x, y, _ in self.layer_painter.points
                ]
            )
            for colour, width in ((theme.CASING, 3.0), (theme.TEXT, 1.2)):
                p.setPen(QPen(QColor(colour), width))
                p.drawPolyline(line)

    def _paint_lines(self, p: QPainter) -> None:
        """Lines through points: the points as handles, those of the line that goes on filled."""
        (w, h), z = self.size_full, self.view.zoom
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        assert self.paths is not None
        for line in self.paths.strokes():
            on = line.seed == self.paths.open
            whole = line_of(line, h, w, closed=line.area)[:, :2] * z + [self.view.left, self.view.top]
            shape = QPolygonF([QPointF(float(x), float(y)) for x, y in whole])
            for colour, width in ((theme.CASING, 3.0), (theme.TEXT if on else theme.SOFT, 1.2)):
                p.setPen(QPen(QColor(colour), width))
                p.setBrush(Qt.BrushStyle.NoBrush)
                p.drawPolyline(shape)
            p.setPen(QPen(QColor(theme.CASING), 1.5))
            for x, y, _ in line.points:
                p.setBrush(QColor(theme.CHOSEN if on else theme.SOFT))
                p.drawEllipse(QPointF(self.view.left + x * w * z, self.view.top + y * h * z), 4.5, 4.5)

    def _tag(self, p: QPainter, text: str, x: float, *, left_of: bool = False) -> None:
        wide = p.fontMetrics().horizontalAdvance(tr(text)) + 12
        tag = QRectF(x - wide if left_of else x, 8, wide, 18)
        p.setPen(Qt.PenStyle.NoPen)
        p.setBrush(QColor(theme.GROUND))
        p.drawRoundedRect(tag, 3, 3)
        p.setPen(QColor(theme.TEXT))
        p.drawText(tag, Qt.AlignmentFlag.AlignCenter, tr(text))

    def _paint_compare(self, p: QPainter) -> None:
        if self.mode == "flicker":
            self._tag(p, self.words[0] if self.old_side else self.words[1], 10)
            return
        # To whole pixels, or the line would be two grey ones.
        x = round(self.width() * self.split)
        p.setPen(QPen(QColor("#101010"), 3))
        p.drawLine(x, 0, x, self.height())
        p.setPen(QPen(QColor(theme.TEXT), 1))
        p.drawLine(x, 0, x, self.height())
        self._tag(p, self.words[0], x - 10, left_of=True)
        self._tag(p, self.words[1], x + 10)

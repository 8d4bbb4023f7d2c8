"""The flat proof: the texture on its own, with its instruments."""

from collections.abc import Callable, Mapping
from dataclasses import replace
from typing import Any

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QActionGroup, QColor
from PySide6.QtWidgets import (
    QButtonGroup,
    QColorDialog,
    QHBoxLayout,
    QLabel,
    QMenu,
    QSizePolicy,
    QToolButton,
    QVBoxLayout,
    QWidget,
)

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message
from mivex.core.findings import Look
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import hex_of
from mivex.core.project import edits
from mivex.core.project.document import Overlay
from mivex.core.proof.flat import BACKDROPS, LAYOUTS, SHOWS
from mivex.ui import theme
from mivex.ui.fields.fields import QuietCombo
from mivex.ui.fields.labels import Elided, enable
from mivex.ui.proofs.comparison import SIDES, offered, texture_before
from mivex.ui.proofs.flat_canvas import FlatCanvas
from mivex.ui.proofs.flat_edits import FlatEdits
from mivex.ui.proofs.swatch import Swatch
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session
from mivex.ui.tools.handles import has_handles

_LAYOUT_WORDS = {
    "levels": "Every mip level at the size of the first: what distance leaves of it.",
    "far": "What distance makes of it, and of its hidden colour.",
    "backdrops": "A rim that hides over one backdrop shows over another.",
    "tiles": "Repeated: a seam shows as a line, a landmark as a pattern.",
    "border": "Marked: alpha above zero on the outermost texels.",
    "magnify": "Close up: left cut at one half, right plain alpha of the same size.",
}
_EMPTY = "Drop pictures here to begin.\n\nPNG, TGA, TIFF, OpenEXR, WebP or JPEG; each becomes an overlay in the rack."
_BARE = "This overlay has no picture yet.\n\nChoose one at the station Source."
_READING = "Reading …"


def _chooser(name: str, rows: Mapping[str, str], take: Callable[[str], None]) -> QuietCombo:
    """A small list in the proof's head; ``take`` gets the key of the row that is chosen."""
    box = QuietCombo()
    box.setAccessibleName(tr(name))
    box.addItems([tr(w) for w in rows.values()])
    box.setMinimumWidth(100)
    box.setMaximumWidth(126)
    box.setSizePolicy(QSizePolicy.Policy.Preferred, QSizePolicy.Policy.Fixed)
    box.activated.connect(lambda i: take(list(rows)[i]))
    return box


class FlatProof(QWidget):
    """Canvas with its header and its line of values; `painting_ended` tells that there is nothing to paint on."""

    painting_ended = Signal(bool)
    reference_wanted = Signal()

    def __init__(self, session: Session, engine: Engine) -> None:
        super().__init__()
        self.session, self.engine = session, engine
        self.canvas = FlatCanvas(session.workers)
        self._shown = ""
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        self.against = ("source", "")
        column.addWidget(self._header())
        column.addWidget(self.canvas, 1)
        self.values = Elided("figure")
        self.values.setFont(theme.figures_font(11))
        self.values.setContentsMargins(10, 3, 10, 3)
        column.addWidget(self.values)
        self._hovered = ""
        self.canvas.hovered.connect(self._take_hover)
        self.canvas.zoomed.connect(self._update_header)
        self.canvas.zoomed.connect(self._say_what_is_seen)
        self._edits = FlatEdits(session, self.canvas)
        self.look = ""
        self.layers_shown = False
        session.stepped.connect(self.refresh)
        engine.inputs_ready.connect(self.refresh)
        session.chosen.connect(self.refresh)
        session.changed.connect(self.refresh)
        # Of no overlay: a picture file, which may be the one that is pinned beside it.
        engine.prepared.connect(lambda key: self.refresh() if key in ("", session.overlay_id) else None)
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
        self.show_box = _chooser("What the flat proof shows", SHOWS, lambda key: self.canvas.set_view(show=key))
        top.addWidget(self.show_box)
        top.addSpacing(6)
        self.swatches = QButtonGroup(self)
        for key in BACKDROPS:
            button = Swatch(key)
            button.clicked.connect(lambda _=False, k=key: self.set_backdrop(k))  # type: ignore[misc]
            self.swatches.addButton(button)
            top.addWidget(button)
        top.addStretch()
        self.compare = theme.tool("divide", "Before and after   (D); hold for what to compare and how", checkable=True)
        self.compare.toggled.connect(self._set_compare)
        self.compare.setPopupMode(QToolButton.ToolButtonPopupMode.MenuButtonPopup)
        self.compare_menu = QMenu(self.compare)
        self.compare_menu.aboutToShow.connect(self._fill_compare)
        self.compare.setMenu(self.compare_menu)
        fit = theme.tool("fit", "Show the whole picture   (F)")
        fit.clicked.connect(self.canvas.fit)
        actual = theme.tool("actual", "One texel to one pixel   (Shift+F)")
        actual.clicked.connect(self.canvas.actual)
        for b in (self.compare, fit, actual):
            top.addWidget(b)
        self.layout_box = _chooser("How the flat proof is laid out", LAYOUTS, self.set_layout)
        low.addWidget(self.layout_box)
        low.addStretch()
        self.finer = theme.tool("down", "Finer level   ([)")
        self.coarser = theme.tool("up", "Coarser level   (])")
        self.finer.clicked.connect(lambda: self.step_level(-1))
        self.coarser.clicked.connect(lambda: self.step_level(1))
        self.level = QLabel("0")
        self.level.setFont(theme.figures_font())
        self.level.setFixedWidth(100)
        self.level.setToolTip(tr("Mip level and its size"))
        self.level.setAlignment(Qt.AlignmentFlag.AlignCenter)
        for w in (self.finer, self.level, self.coarser):
            low.addWidget(w)
        low.addStretch()
        self.zoom = QLabel("100 %")
        self.zoom.setObjectName("soft")
        self.zoom.setFont(theme.figures_font())
        low.addWidget(self.zoom)
        return head

    def set_backdrop(self, key: str) -> None:
        """Choose the backdrop; choosing the own colour again asks for another one."""
        if key == "own" and self.canvas.view.backdrop == "own":
            chosen = QColorDialog.getColor(
                QColor.fromRgbF(*self.canvas.view.own),
                self,
                tr("Backdrop"),
                QColorDialog.ColorDialogOption.DontUseNativeDialog,
            )
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

    def set_layout(self, key: str) -> None:
        """Show the picture itself, or one of the layouts that judge it at a glance."""
        self.canvas.set_view(layout=key)
        if key == "single":
            self.canvas.fit()
        self.refresh()

    def show_look(self, look: Look) -> None:
        """Show what a finding wants seen."""
        c = self.canvas
        if look.layout not in (None, "single"):
            self.set_layout(str(look.layout))
            return
        c.set_view(
            level=look.level,
            layout=look.layout or c.view.layout,
            show=look.show or c.view.show,
            backdrop=look.backdrop or c.view.backdrop,
        )

    def toggle_layout(self, key: str) -> None:
        """Show a layout, or the picture again."""
        self.set_layout("single" if self.canvas.view.layout == key else key)

    def next_layout(self) -> None:
        """Go on to the next layout."""
        keys = list(LAYOUTS)
        self.set_layout(keys[(keys.index(self.canvas.view.layout) + 1) % len(keys)])

    def _set_compare(self, on: bool) -> None:
        if on and not self.canvas.single:
            self.set_layout("single")
        self.canvas.set_compare(on, self.canvas.mode)
        self.refresh()

    def compare_with(self, kind: str, value: str = "") -> None:
        """Choose what stands before: ``source``, ``step`` (its number) or ``overlay`` (its id)."""
        self.against = (kind, value)
        self.compare.setChecked(True)
        self.refresh()

    def pin(self, path: str) -> None:
        """Pin a picture beside the proof, or take it away (empty)."""
        o = self.session.overlay
        if o is None:
            return
        key = o.id
        words = "Pin reference" if path else "Unpin reference"
        self.session.apply(words, lambda d: edits.set_fields(d, key, "", reference=path))
        if path:
            self.canvas.set_compare(True, "beside")
            self.compare_with("reference")
        else:
            self.against = ("source", "")
            self.compare.setChecked(False)
            self.refresh()

    def compare_by(self, mode: str) -> None:
        """Choose how: ``divider``, ``beside`` or ``flicker``."""
        self.canvas.set_compare(True, mode)
        self.compare.setChecked(True)

    def _fill_compare(self) -> None:
        menu = self.compare_menu
        menu.clear()
        group, ways = QActionGroup(menu), QActionGroup(menu)
        for text, against in offered(self.session, self.engine):
            action = group.addAction(menu.addAction(tr(text), lambda a=against: self.compare_with(*a)))
            action.setCheckable(True)
            action.setChecked(against == self.against)
        menu.addSeparator()
        menu.addAction(tr("Pin a reference picture …"), self.reference_wanted.emit)
        o = self.session.overlay
        if o is not None and o.reference:
            menu.addAction(tr("Unpin it"), lambda: self.pin(""))
        menu.addSeparator()
        for key, text in (("divider", "Divider"), ("beside", "Side by side"), ("flicker", "Flicker")):
            action = ways.addAction(menu.addAction(tr(text), lambda k=key: self.compare_by(k)))
            action.setCheckable(True)
            action.setChecked(key == self.canvas.mode)

    def _idle_text(self) -> str:
        v = self.canvas.view
        if self.canvas.texture is None:
            return " "
        if v.show == "fringe":
            return "Brighter: filtering lets more hidden colour through. Black: clear."
        if v.layout != "single":
            return _LAYOUT_WORDS[v.layout]
        if v.show == "lit":
            return "Move the pointer: the light follows it."
        if self.canvas.paths is not None and self.canvas.paths.on:
            return "Click sets a point, drag moves one, right click removes it, Return ends."
        if self.canvas.on_layer:
            return "Drag paints, right button clears, Shift goes straight, Ctrl+wheel: size."
        if self.look:
            return "Press the column's head again to leave this view."
        if self.canvas.painting:
            return "Drag paints, right button takes away, Ctrl+wheel: size."
        if self.canvas.texture.pivot != (0.5, 0.5):
            return "Wheel zooms, drag moves. The cross is the point it is placed by."
        return "Wheel zooms, drag moves. Values appear under the pointer."

    def _update_header(self) -> None:
        v = self.canvas.view
        self.show_box.setCurrentIndex(list(SHOWS).index(v.show))
        for b in self.swatches.buttons():
            assert isinstance(b, Swatch)
            b.setChecked(b.key == v.backdrop)
            if b.key == "own":
                b.colour = hex_of(v.own)
                b.update()
        t = self.canvas.texture
        enable(self.finer, False, "Only a single picture has a level that is chosen")
        enable(self.coarser, False, "Only a single picture has a level that is chosen")
        if t is not None:
            level = min(v.level, t.mips.levels - 1)
            self.level.setText(tr(f"{level} · {t.mips.widths[level]}×{t.mips.heights[level]}"))
            enable(self.finer, level > 0, "This is the finest level")
            enable(self.coarser, level < t.mips.levels - 1, "This is the coarsest level")
        # In a layout that has its own way of showing, what would change nothing is not offered.
        free = v.layout in ("single", "levels", "far", "tiles")
        self.show_box.setEnabled(free)
        for b in self.swatches.buttons():
            b.setEnabled(free and v.show == "over")
        self.layout_box.setCurrentIndex(list(LAYOUTS).index(v.layout))
        single = v.layout == "single"
        for w in (self.finer, self.coarser, self.level, self.zoom):
            w.setVisible(single)
        self.zoom.setText(tr(Message("{zoom:.0f} %", zoom=v.zoom * self.canvas.devicePixelRatioF() * 100)))
        self.values.setText(tr(self._hovered or self._idle_text()))

    def _take_hover(self, text: str) -> None:
        self._hovered = text
        self.values.setText(tr(text or self._idle_text()))

    def refresh(self) -> None:
        """Show the selected overlay's texture, or say why there is none."""
        o = self.session.overlay
        texture = None if o is None else self.engine.get(o.id).texture
        if o is None or texture is None:
            self.canvas.texture, self._shown = None, ""
            self.canvas.say(
                _EMPTY if o is None else self.engine.get(o.id).problem or (_READING if o.source.ready else _BARE)
            )
            return
        texture = self._viewed(o, texture)
        m = o.material
        look: dict[str, Any] = {
            "blend": m.blend,
            "opacity": m.opacity,
            "cutoff": m.cutoff,
            "tint": m.tint,
            "wrap": m.tiling,
            "display": self.session.doc.lighting.blending == "display",
        }
        changed = any(getattr(self.canvas.view, k) != v for k, v in look.items())
        if changed:
            self.canvas.view = replace(self.canvas.view, **look)
        before = texture_before(self.session, self.engine, o, self.against, magnified=self.canvas.view.layout == "magnify")
        self.canvas.words = SIDES.get(self.against[0], ("Before", "After"))
        self._follow_step(o)
        piece = self.engine.get(o.id).piece if texture is self.engine.get(o.id).texture else None
        same = self.canvas.texture is texture and self.canvas.before is before and self.canvas.piece is piece
        if same and self._shown == o.id:
            if changed:
                self.canvas.redraw()
            return
        fresh = self._shown.partition(" ")[0] != o.id
        self._shown = o.id
        if self.canvas.view.level >= texture.mips.levels:
            self.canvas.view = replace(self.canvas.view, level=texture.mips.levels - 1)
        self.canvas.put(texture, before, fresh=fresh, piece=piece)
        self._update_header()
        self._say_what_is_seen()

    def _say_what_is_seen(self) -> None:
        """What is on the screen is made first when something changes."""
        o = self.session.overlay
        seen = o is not None and self.canvas.texture is not None and self.isVisible()
        self.engine.results.looking = self.canvas.looked_at(o.id) if o is not None and seen else None

    def show_view(self, look: str) -> None:
        """Show a view into the layers; empty: the picture again."""
        if look != self.look:
            self.look = look
            self.refresh()

    def show_layers(self, on: bool) -> None:
        """At the station Layers the layers' own result is shown, not that of the steps behind them."""
        if on != self.layers_shown:
            self.layers_shown = on
            if self.session.overlay is not None and self.session.overlay.steps:
                self.refresh()

    def _viewed(self, o: Overlay, texture: Texture) -> Texture:
        """The view that is asked for, as soon as there is one."""
        look = self.look or ("stack" if self.layers_shown and any(s.on for s in o.steps) else "")
        if not look:
            return texture
        found = self.engine.view_of(o.id, look)
        return found.texture if found.texture is not None else texture

    def _follow_step(self, o: Overlay) -> None:
        """Handles belong to the active step."""
        i = self.session.step_index
        step = o.steps[i] if 0 <= i < len(o.steps) else None
        wanted = step is not None and (has_handles(step) or step.step == "add-tint")
        self.canvas.step = step if wanted else None
        self.canvas.step_input = self.engine.input_of(o.id, i) if wanted else None
        if self.canvas.painting and not self.canvas.on_layer and getattr(step, "mask", "") != "brush":
            self.painting_ended.emit(False)
        self.canvas.update()

    def set_painting(self, on: bool) -> None:
        """Begin or end painting strokes."""
        self.canvas.painting = on
        self.canvas.setCursor(Qt.CursorShape.BlankCursor if on else Qt.CursorShape.ArrowCursor)
        self._update_header()

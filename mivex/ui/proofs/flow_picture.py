"""The picture of a delivery: the overlay's channels at the left flow into the files at the right."""

from dataclasses import dataclass

from pydantic import ValidationError
from PySide6.QtCore import QEvent, QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QAction, QColor, QFont, QKeyEvent, QMouseEvent, QPainter, QPainterPath, QPaintEvent, QPen
from PySide6.QtWidgets import QInputDialog, QMenu, QWidget

from mivex.core.base.errors import MivexError, what_is_invalid
from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term, verbatim
from mivex.core.deliver.planning import file_name
from mivex.core.picture.formats import DEPTHS
from mivex.core.project import delivery_edits as edits
from mivex.core.project.delivery import FORMAT_WORDS, FROM_WORDS, DeliveryRecipe, Feed, FilePlan, Lane
from mivex.core.project.document import Document, Overlay
from mivex.ui import theme
from mivex.ui.fields.labels import enable
from mivex.ui.session.session import Session

ROW, HEAD, GAP, EDGE = 22, 38, 12, 12
LEFT, RIGHT = 118, 176
"""Widths of the channels at the left and the files at the right, pixels."""
LANE_WORDS = {"red": "Red", "green": "Green", "blue": "Blue", "alpha": "Alpha"}
_GROUPS = (
    ("red", "green", "blue", "opacity", "grey", "distance"),
    ("roughness", "metal", "occlusion", "height"),
    ("normal_x", "normal_y", "normal_z"),
    ("glow_red", "glow_green", "glow_blue"),
)
DIALOG = "A number from 0 to 1:"


@dataclass(frozen=True)
class Spot:
    """Something that can be clicked: a file, or one of its channels; file −1 adds one."""

    file: int
    lane: Lane | None = None


class FlowPicture(QWidget):
    """Draws and edits the delivery recipe of the chosen overlay.

    Signals
    -------
    said(sentence)
        Something that cannot be done.
    """

    said = Signal(object)  # a Message; as str it would lose its template

    def __init__(self, session: Session) -> None:
        super().__init__()
        self.session = session
        self.spot: Spot | None = None
        self.setMouseTracking(True)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setAccessibleName(tr("Channels into files"))
        for signal in (session.changed, session.chosen):
            signal.connect(self._follow)
        self._follow()

    # Where things lie ------------------------------------------------------------------------------

    @property
    def recipe(self) -> DeliveryRecipe | None:
        """The recipe that is drawn."""
        o = self.session.overlay
        return edits.recipe_of(self.session.doc, o) if o is not None else None

    def _follow(self) -> None:
        boxes = self.boxes()
        low = max((b.bottom() for b in boxes.values()), default=0)
        # As tall as what is drawn: it stands in a scrolled area, which asks for this height.
        self.setMinimumHeight(int(max(low, EDGE + len(self.sources()) * (ROW + 6)) + EDGE))
        self.update()

    def sources(self) -> list[str]:
        """What flows, each once, in the order in which it is used."""
        r = self.recipe
        return list(
            dict.fromkeys(f.source_words for p in (r.files if r else ()) for k in p.lanes for f in (p.channels[k],))
        )

    def boxes(self) -> dict[Spot, QRectF]:
        """Where every file and every channel of it lies."""
        r = self.recipe
        made: dict[Spot, QRectF] = {}
        if r is None:
            return made
        # To the right edge, but never over the channels at the left.
        x, y = max(self.width() - RIGHT - EDGE, LEFT + 60), float(EDGE)
        for k, plan in enumerate(r.files):
            made[Spot(k)] = QRectF(x, y, RIGHT, HEAD)
            y += HEAD
            for lane in plan.lanes:
                made[Spot(k, lane)] = QRectF(x, y, RIGHT, ROW)
                y += ROW
            y += GAP
        made[Spot(-1)] = QRectF(x, y, RIGHT, 26)
        return made

    def source_box(self, words: str) -> QRectF:
        """Where a channel of the overlay lies."""
        return QRectF(EDGE, EDGE + self.sources().index(words) * (ROW + 6), LEFT, ROW)

    # Drawing ---------------------------------------------------------------------------------------

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        p.fillRect(self.rect(), QColor(theme.PANEL))
        o, r = self.session.overlay, self.recipe
        if o is None or r is None:
            p.setPen(QColor(theme.SOFT))
            p.drawText(QRectF(self.rect()), Qt.AlignmentFlag.AlignCenter, tr("Choose an overlay to deliver."))
            return
        boxes = self.boxes()
        p.setFont(theme.figures_font(12))
        for words in self.sources():
            box = self.source_box(words)
            p.setPen(QPen(QColor(theme.EDGE), 1))
            p.setBrush(QColor(theme.RAISED))
            p.drawRoundedRect(box, 3, 3)
            p.setPen(QColor(theme.TEXT))
            said = tr(words)
            # Only the first letter: the words stand within sentences elsewhere.
            text = p.fontMetrics().elidedText(
                said[:1].upper() + said[1:], Qt.TextElideMode.ElideRight, int(box.width() - 16)
            )
            p.drawText(box.adjusted(8, 0, -8, 0), Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignLeft, text)
        for k, plan in enumerate(r.files):
            self._paint_file(p, o, plan, k, boxes)
        box = boxes[Spot(-1)]
        p.setBrush(Qt.BrushStyle.NoBrush)
        p.setPen(QPen(QColor(theme.CHOSEN if self.spot == Spot(-1) else theme.EDGE), 1))
        p.drawRoundedRect(box, 3, 3)
        p.setPen(QColor(theme.TEXT))
        p.drawText(box, Qt.AlignmentFlag.AlignCenter, tr("Add a file …"))

    def _paint_file(self, p: QPainter, o: Overlay, plan: FilePlan, k: int, boxes: dict[Spot, QRectF]) -> None:
        head = boxes[Spot(k)]
        whole = QRectF(head.left(), head.top(), RIGHT, HEAD + ROW * len(plan.lanes))
        p.setPen(QPen(QColor(theme.CHOSEN if self.spot == Spot(k) else theme.EDGE), 1))
        p.setBrush(QColor(theme.FIELD))
        p.drawRoundedRect(whole, 3, 3)
        p.setPen(QColor(theme.TEXT))
        p.setFont(theme.figures_font(12, QFont.Weight.DemiBold))
        name = plan.pattern.replace("{name}", file_name(o)).replace("{kind}", o.kind)
        kind = o.delivery.format if plan.format == "own" else plan.format
        ending = {"tga24": "tga"}.get(kind, kind)
        text = p.fontMetrics().elidedText(f"{name}.{ending}", Qt.TextElideMode.ElideMiddle, RIGHT - 16)
        p.drawText(head.adjusted(8, 4, -8, 0), Qt.AlignmentFlag.AlignTop, text)
        p.setFont(theme.figures_font(11))
        p.setPen(QColor(theme.SOFT))
        # The overlay's depth where the format has it; else the least that it has.
        bits = plan.bits or (o.delivery.bits if o.delivery.bits in DEPTHS.get(kind, (8, 16)) else DEPTHS[kind][0])
        words: str = Message("{holds} · {bits} bit", holds=term(plan.holds), bits=bits) + (
            Message(" · {size} px", size=plan.size) if plan.size else ""
        )
        if plan.fed_by("normal_y"):
            words += Message(" · green {green}", green=term(plan.green))
        if plan.alpha_for == "display" and "alpha" in plan.channels:
            words += " · for display sums"
        if not plan.always:
            words += " · if varied"
        words = p.fontMetrics().elidedText(tr(words), Qt.TextElideMode.ElideRight, RIGHT - 12)
        p.drawText(head.adjusted(8, 20, -4, 0), Qt.AlignmentFlag.AlignTop, words)
        for lane in plan.lanes:
            box, feed = boxes[Spot(k, lane)], plan.channels[lane]
            at, lit = self.source_box(feed.source_words), self.spot == Spot(k, lane)
            path = QPainterPath(QPointF(at.right(), at.center().y()))
            middle = (at.right() + box.left()) / 2
            path.cubicTo(
                QPointF(middle, at.center().y()), QPointF(middle, box.center().y()), QPointF(box.left(), box.center().y())
            )
            p.setBrush(Qt.BrushStyle.NoBrush)
            p.setPen(
                QPen(
                    QColor(theme.CHOSEN if lit else theme.FAINT),
                    2 if lit else 1.2,
                    Qt.PenStyle.DashLine if feed.invert else Qt.PenStyle.SolidLine,
                )
            )
            p.drawPath(path)
            if lit:
                p.fillRect(box.adjusted(1, 0, -1, 0), QColor(theme.EDGE))
            p.setFont(theme.figures_font(12))
            p.setPen(QColor(theme.SOFT))
            p.drawText(box.adjusted(8, 0, 0, 0), Qt.AlignmentFlag.AlignVCenter, tr(LANE_WORDS[lane]))
            p.setPen(QColor(theme.TEXT))
            said = p.fontMetrics().elidedText(tr(feed.words), Qt.TextElideMode.ElideRight, RIGHT - 70)
            p.drawText(box.adjusted(56, 0, -8, 0), Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight, said)

    # Editing ---------------------------------------------------------------------------------------

    def _under(self, at: QPointF) -> Spot | None:
        return next((s for s, b in reversed(self.boxes().items()) if b.contains(at)), None)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        spot = self._under(event.position())
        if spot != self.spot:
            self.spot = spot
            self.setCursor(Qt.CursorShape.PointingHandCursor if spot else Qt.CursorShape.ArrowCursor)
            self.update()

    def leaveEvent(self, _event: QEvent) -> None:
        if not self.hasFocus():
            self.spot = None
        self.update()

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self.spot = self._under(event.position())
        self.update()
        if self.spot is not None:
            self.menu(self.spot).popup(event.globalPosition().toPoint())

    def keyPressEvent(self, event: QKeyEvent) -> None:
        rows = list(self.boxes())
        if event.key() in (Qt.Key.Key_Down, Qt.Key.Key_Up) and rows:
            step = 1 if event.key() == Qt.Key.Key_Down else -1
            at = rows.index(self.spot) + step if self.spot in rows else 0
            self.spot = rows[min(max(at, 0), len(rows) - 1)]
            self.update()
        elif event.key() in (Qt.Key.Key_Return, Qt.Key.Key_Enter, Qt.Key.Key_Space) and self.spot in rows:
            self.menu(self.spot).popup(self.mapToGlobal(self.boxes()[self.spot].center().toPoint()))
        else:
            super().keyPressEvent(event)

    def change(self, words: str, change: edits.Change) -> None:
        """Change the recipe; one that comes with Mivex becomes the project's own."""
        o = self.session.overlay
        if o is None:
            return
        key = o.id

        def edit(d: Document) -> Document:
            return edits.changed(d, key, change)

        try:
            self.session.apply(words, edit)
        except ValidationError as e:
            self.said.emit(what_is_invalid(e.errors()[0]))
        except (MivexError, ValueError) as e:
            self.said.emit(str(e))

    def menu(self, spot: Spot) -> QMenu:
        """What can be chosen for a file, or for one of its channels."""
        menu = QMenu(self)
        r = self.recipe
        if r is None:
            return menu
        if spot.file < 0:
            for count, words in ((4, "Colour with alpha"), (3, "Three channels"), (1, "One channel")):
                menu.addAction(tr(words), lambda n=count: self.change("Add a file", lambda x: edits.with_more(x, n)))
            return menu
        plan = r.files[spot.file]
        if spot.lane is not None:
            self._feeds(menu, spot, plan.channels[spot.lane])
            return menu
        self._file_menu(menu, spot, plan, r)
        return menu

    def _pick(self, menu: QMenu, words: str, chosen: bool, take) -> QAction:  # type: ignore[no-untyped-def]
        made = menu.addAction(tr(words), take)
        made.setCheckable(True)
        made.setChecked(chosen)
        return made

    def _file_menu(self, menu: QMenu, spot: Spot, plan: FilePlan, r: DeliveryRecipe) -> None:
        k = spot.file

        def put(**values: object) -> None:
            self.change("Change a delivered file", lambda x: edits.with_file(x, k, **values))

        menu.addAction(tr("Name …"), lambda: self._ask_name(k, plan))
        forms = menu.addMenu(tr("File"))
        for key, words in FORMAT_WORDS.items():
            bits = plan.bits if not plan.bits or key == "own" or plan.bits in DEPTHS[key] else 0
            self._pick(forms, words, plan.format == key, lambda f=key, b=bits: put(format=f, bits=b))
        depth = menu.addMenu(tr("Depth"))
        for bits, words in ((0, "As the overlay says"), (8, "8 bit"), (16, "16 bit")):
            self._pick(depth, words, plan.bits == bits, lambda b=bits: put(bits=b))
        size = menu.addMenu(tr("Longest side"))
        for side in (0, 4096, 2048, 1024, 512, 256, 128):
            self._pick(
                size, Message("{side} px", side=side) if side else "Its own", plan.size == side, lambda v=side: put(size=v)
            )
        holds = menu.addMenu(tr("Holds"))
        for key, words in (("colour", "Colour"), ("data", "Data")):
            self._pick(holds, words, plan.holds == key, lambda h=key: put(holds=h))
        if plan.fed_by("normal_y"):
            green = menu.addMenu(tr("Green points"))
            for key, words in (("up", "Up"), ("down", "Down")):
                self._pick(green, words, plan.green == key, lambda g=key: put(green=g))
        if "alpha" in plan.channels and plan.channels["alpha"].take == "opacity" and plan.holds == "colour":
            sums = menu.addMenu(tr("Alpha for"))
            for key, words in (("linear", "Sums of light"), ("display", "Sums of display values")):
                self._pick(sums, words, plan.alpha_for == key, lambda v=key: put(alpha_for=v))
            below = menu.addMenu(tr("Below clear texels"))
            for key, words in (("kept", "Colour as it is"), ("spread", "Colour spread from the edges")):
                self._pick(below, words, plan.hidden == key, lambda v=key: put(hidden=v))
        self._pick(menu, "Written even if nothing in it varies", plan.always, lambda: put(always=not plan.always))
        menu.addSeparator()
        if "alpha" in plan.channels:
            less = {n: f for n, f in plan.channels.items() if n != "alpha"}
            menu.addAction(tr("Without alpha"), lambda: put(channels=less))
        elif len(plan.lanes) == 3:
            more = {**plan.channels, "alpha": Feed(take="opacity")}
            menu.addAction(tr("With alpha"), lambda: put(channels=more))
        gone = menu.addAction(
            tr("Remove the file"), lambda: self.change("Remove a file", lambda x: edits.without_file(x, k))
        )
        enable(gone, len(r.files) > 1, "A recipe has one file at least")

    def _ask_name(self, k: int, plan: FilePlan) -> None:
        words = "Name, where {name} stands for the overlay's name and {kind} for its kind:"
        text, ok = QInputDialog.getText(self, tr("Name of the file"), tr(words), text=plan.pattern)
        if ok and text.strip():
            self.change("Name a delivered file", lambda x: edits.with_file(x, k, pattern=text.strip()))

    def _feeds(self, menu: QMenu, spot: Spot, feed: Feed) -> None:
        lane, k = spot.lane, spot.file
        assert lane is not None

        def put(**values: object) -> None:
            new = Feed.model_validate(feed.model_dump() | values)
            self.change("Feed a channel", lambda x: edits.with_feed(x, k, lane, new))

        for group in _GROUPS:
            for name in group:
                self._pick(menu, FROM_WORDS[name], feed.take == name, lambda n=name: put(take=n))
            menu.addSeparator()
        o = self.session.overlay
        rows = list(o.layers.walk()) if o is not None else []
        masks = menu.addMenu(tr("A layer's mask"))
        masks.setEnabled(bool(rows))
        for number, row in enumerate(rows, 1):
            self._pick(
                masks,
                Message("{number}  {name}", number=number, name=row.name),
                feed.take == "mask" and feed.layer == number,
                lambda n=number: put(take="mask", layer=n),
            )
        numbers = menu.addMenu(tr("A number"))
        for value in (0.0, 0.5, 1.0):
            self._pick(
                numbers,
                Message("{value:g}", value=value),
                feed.take == "number" and feed.value == value,
                lambda v=value: put(take="number", value=v),
            )
        numbers.addAction(tr("Another …"), lambda: self._ask_number(put, feed))
        of = menu.addMenu(tr("Of another overlay"))
        self._pick(of, "This one", not feed.overlay, lambda: put(overlay=""))
        for other in self.session.doc.overlays:
            if o is not None and other.id != o.id and other.source.ready:
                self._pick(of, verbatim(other.name), feed.overlay == other.name, lambda n=other.name: put(overlay=n))
        menu.addSeparator()
        self._pick(menu, "Inverted", feed.invert, lambda: put(invert=not feed.invert))

    def _ask_number(self, put, feed: Feed) -> None:  # type: ignore[no-untyped-def]
        value, ok = QInputDialog.getDouble(self, tr("A number"), tr(DIALOG), feed.value, 0.0, 1.0, 3)
        if ok:
            put(take="number", value=value)

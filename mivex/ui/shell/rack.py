"""The rack: a card for every overlay."""

import time
from bisect import bisect_left

from PySide6.QtCore import QSize, Qt, Signal
from PySide6.QtGui import QImage, QMouseEvent, QPixmap
from PySide6.QtWidgets import (
    QFrame,
    QHBoxLayout,
    QLabel,
    QListWidget,
    QListWidgetItem,
    QMenu,
    QToolButton,
    QVBoxLayout,
    QWidget,
)

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, joined, term, verbatim
from mivex.core.picture.texture import Texture
from mivex.core.project import edits
from mivex.core.project.document import Document, Overlay
from mivex.core.project.variants import add_variant, differing, followed_by
from mivex.core.proof.flat import FlatView
from mivex.core.proof.layouts import draw_flat
from mivex.ui import theme
from mivex.ui.fields.labels import KINDS
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session

THUMB = 44
SLICE = 0.025
"""Seconds of CPU after which further new cards wait for the next turn."""


def thumbnail(texture: Texture, side: int) -> QImage:
    """The overlay over a checker, fitted into a square; computed in the background."""
    w, h = texture.full_size if texture.scale < 1 else (texture.width, texture.height)
    zoom = side / max(w, h)
    view = FlatView(zoom=zoom, left=(side - w * zoom) / 2, top=(side - h * zoom) / 2)
    rgb = draw_flat(texture, view, side, side)
    return QImage(rgb.data, side, side, side * 3, QImage.Format.Format_RGB888).copy()


KIND_ROOM = 98
"""Pixels for the kind of an overlay and how many findings it has."""


class Card(QFrame):
    """One overlay: picture, name, kind, findings, and a switch to hide it on the stage; `framed` asks to look at it."""

    framed = Signal()

    def __init__(self, session: Session, overlay_id: str) -> None:
        super().__init__()
        self.session, self.overlay_id = session, overlay_id
        self._shown: tuple[Overlay, int, str, Overlay | None] | None = None
        row = QHBoxLayout(self)
        row.setContentsMargins(10, 6, 6, 6)
        row.setSpacing(9)
        self.picture = QLabel()
        self.picture.setFixedSize(THUMB, THUMB)
        self.picture.setStyleSheet(f"background: {theme.SURROUND};")
        row.addWidget(self.picture)
        words = QVBoxLayout()
        words.setSpacing(1)
        words.setContentsMargins(0, 0, 0, 0)
        self.name, self.kind = QLabel(), QLabel()
        self.name.setWordWrap(True)
        self.kind.setObjectName("figure")
        words.addStretch()
        words.addWidget(self.name)
        words.addWidget(self.kind)
        words.addStretch()
        row.addLayout(words, 1)
        self.eye = QToolButton()
        self.eye.setFocusPolicy(Qt.FocusPolicy.NoFocus)
        self.eye.clicked.connect(self.switch)
        row.addWidget(self.eye)

    def switch(self) -> None:
        """Hide the overlay on the stage, or show it again."""
        o = self.session.doc.overlay(self.overlay_id)
        if o:
            self.session.apply(
                "Hide" if o.shown else "Show", lambda d: edits.set_fields(d, self.overlay_id, "", shown=not o.shown)
            )

    def update_from(self, o: Overlay, findings: int, problem: str) -> None:
        """Show the overlay as it is now."""
        base = followed_by(self.session.doc, o)
        now = (o, findings, problem, base)
        if self._shown is not None and all(a is b or a == b for a, b in zip(now, self._shown, strict=True)):
            return
        self._shown = now
        metrics = self.name.fontMetrics()
        self.name.setText(metrics.elidedText(o.name, Qt.TextElideMode.ElideRight, 190))  # two lines
        tip = Message("“{name}”\n{problem}", name=o.name, problem=term(problem)) if problem else verbatim(o.name)
        tail: str
        if not o.source.ready:
            tail = "no picture"
        elif problem:
            tail = "cannot be read"
        else:
            tail = ("" if not findings else "1 finding") if findings < 2 else Message("{count} findings", count=findings)
        accent = (
            Message(" · <span style='color:{colour}'>{tail}</span>", colour=theme.FINDING, tail=term(tail)) if tail else ""
        )
        wide = 34 if tail else 96
        fm = self.kind.fontMetrics()
        room = KIND_ROOM - (fm.horizontalAdvance(f" · {tr(tail)}") if tail else 0)
        what: str = verbatim(fm.elidedText(tr(KINDS[o.kind]), Qt.TextElideMode.ElideRight, room))
        if base is not None:
            what = Message("as {name}", name=metrics.elidedText(base.name, Qt.TextElideMode.ElideRight, wide))
            tip += Message(
                "\nTakes its material from “{name}”; its own: {own}",
                name=base.name,
                own=joined(", ", differing(o) or ["nothing"]),
            )
        self.kind.setText(tr(term(what) + accent))
        self.setToolTip(tr(tip))
        self.eye.setIcon(theme.icon("seen" if o.shown else "unseen", theme.SOFT if o.shown else theme.FAINT))
        words = "Hide on the stage" if o.shown else "Show on the stage"
        self.eye.setToolTip(tr(Message("{words}   (V)", words=term(words))))
        self.eye.setAccessibleName(tr(words))

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self.session.choose(self.overlay_id)
        event.ignore()

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        event.accept()
        self.framed.emit()


def _longest_run(have: list[str], wanted: list[str]) -> list[str]:
    """Names that keep their order: a longest increasing run of places (patience sorting)."""
    place = {k: i for i, k in enumerate(wanted)}
    tails: list[int] = []
    ends: list[int] = []
    before: list[int] = []
    for i, key in enumerate(have):
        at = bisect_left(tails, place[key])
        tails[at : at + 1] = [place[key]]
        ends[at : at + 1] = [i]
        before.append(ends[at - 1] if at else -1)
    out, i = [], ends[-1] if ends else -1
    while i >= 0:
        out.append(have[i])
        i = before[i]
    return out[::-1]


class Rack(QWidget):
    """List of overlays, with buttons to add, copy, move and remove."""

    add_wanted = Signal()
    framed = Signal()

    def __init__(self, session: Session, engine: Engine) -> None:
        super().__init__()
        self.setObjectName("panel")
        self.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        self.session, self.engine = session, engine
        self.setFixedWidth(212)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        head = QHBoxLayout()
        head.setContentsMargins(12, 8, 6, 6)
        head.setSpacing(0)
        title = QLabel(tr("Rack"))
        title.setObjectName("title")
        head.addWidget(title)
        head.addStretch()
        for name, tip, slot in (
            ("up", "Move the card up", lambda: self._move(-1)),
            ("down", "Move the card down", lambda: self._move(1)),
            ("copy", "Copy the overlay", self.copy_chosen),
            ("remove", "Remove the overlay", self.remove_chosen),
            ("plus", "Add pictures as overlays", self.add_wanted.emit),
        ):
            button = theme.tool(name, tip)
            button.clicked.connect(lambda _=False, s=slot: s())  # type: ignore[misc]
            head.addWidget(button)
        column.addLayout(head)
        self.list = QListWidget()
        self.list.setAccessibleName(tr("Overlays"))
        # A click on a card leaves the keys to the proofs; Tab comes here for the arrows.
        self.list.setFocusPolicy(Qt.FocusPolicy.TabFocus)
        self.list.setVerticalScrollMode(QListWidget.ScrollMode.ScrollPerPixel)
        self.list.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self.list.currentRowChanged.connect(self._row_changed)
        self.list.setContextMenuPolicy(Qt.ContextMenuPolicy.CustomContextMenu)
        self.list.customContextMenuRequested.connect(self._menu)
        column.addWidget(self.list, 1)
        self.empty = QLabel(tr("No overlays yet.\n\nDrop pictures anywhere on the window, or press + above."))
        self.empty.setObjectName("empty")
        self.empty.setWordWrap(True)
        self.empty.setContentsMargins(14, 10, 14, 10)
        self.empty.setAlignment(Qt.AlignmentFlag.AlignTop)
        column.addWidget(self.empty, 1)
        self._cards: dict[str, Card] = {}
        self._thumbs = session.workers.latest("thumbs")
        self._thumbs.reported.connect(self._take_thumb)
        self._drawn: dict[str, str] = {}
        self._touched: set[str] = set()
        for signal in (session.changed, session.chosen, engine.examined):
            signal.connect(session.refresher.later(self.refresh))
        engine.prepared.connect(self._touch)
        engine.prepared.connect(session.refresher.later(self._draw_thumbs))
        self.refresh()

    def refresh(self) -> None:
        """Bring the cards in line with the document."""
        rows = self.session.doc.overlays
        self.list.blockSignals(True)
        if not self._match([o.id for o in rows]):
            self.session.refresher.ask(self.refresh)  # the rest of the cards with the next turn
        counts = self.engine.results.finding_counts()
        for o in rows:
            if o.id in self._cards:
                self._cards[o.id].update_from(o, counts.get(o.id, 0), self.engine.get(o.id).problem)
        at = next((i for i, key in enumerate(self._cards) if key == self.session.overlay_id), -1)
        self.list.setCurrentRow(at)
        self.list.blockSignals(False)
        self.list.setVisible(bool(rows))
        self.empty.setVisible(not rows)

    def _touch(self, key: str) -> None:
        self._touched.add(key)
        self.session.refresher.ask(self._update_touched)

    def _update_touched(self) -> None:
        """Only the cards of overlays that were prepared; thirty of them arrive one by one."""
        counts = self.engine.results.finding_counts()
        for key in self._touched:
            o = self.session.doc.overlay(key)
            if o is not None and key in self._cards:
                self._cards[key].update_from(o, counts.get(key, 0), self.engine.get(key).problem)
        self._touched.clear()

    def _match(self, wanted: list[str]) -> bool:
        """Take out, put in and move only the cards that differ from the overlays; the others are not touched.

        False where there are so many new ones that the rest has to wait.
        """
        have = list(self._cards)
        if have == wanted:
            return True
        begun = time.thread_time()
        gone = set(have) - set(wanted)
        for row in reversed(range(len(have))):
            if have[row] in gone:
                self.list.takeItem(row)
                self._cards.pop(have[row]).deleteLater()
                have.pop(row)
        # What stands in its order stays; the fewest others move: all but a longest common run.
        stay = set(_longest_run(have, wanted))
        for row in reversed(range(len(have))):
            if have[row] not in stay:
                self.list.takeItem(row)  # the widget of an item goes with it
                have.pop(row)
        for row, key in enumerate(wanted):
            if row < len(have) and have[row] == key:
                continue
            if time.thread_time() - begun > SLICE:
                self._cards = {k: self._cards[k] for k in have}
                return False
            old = self._cards.get(key)
            card = Card(self.session, key)
            card.framed.connect(self.framed)
            if old is not None:
                card.picture.setPixmap(old.picture.pixmap())
                old.deleteLater()
            item = QListWidgetItem()
            item.setSizeHint(QSize(200, THUMB + 13))
            self.list.insertItem(row, item)
            self.list.setItemWidget(item, card)
            self._cards[key] = card
            have.insert(row, key)
        self._cards = {k: self._cards[k] for k in wanted}
        return True

    def _row_changed(self, row: int) -> None:
        rows = self.session.doc.overlays
        if 0 <= row < len(rows):
            self.session.choose(rows[row].id)

    def _draw_thumbs(self) -> None:
        todo = [(k, t) for k, t in self.engine.results.overlays().items() if self._drawn.get(k) != t.key]

        def work(report, stopped):  # type: ignore[no-untyped-def]
            for k, t in todo:
                report((k, t.key, thumbnail(t, THUMB * 2)))

        if todo:
            self._thumbs.ask(None, work)

    def _take_thumb(self, _token: object, part: tuple) -> None:
        key, content, image = part
        if key in self._cards:
            self._drawn[key] = content
            pixmap = QPixmap.fromImage(image)
            pixmap.setDevicePixelRatio(2)
            self._cards[key].picture.setPixmap(pixmap)

    def _menu(self, at) -> None:  # type: ignore[no-untyped-def]
        menu = QMenu(self)
        menu.addAction(tr("Copy the overlay"), self.copy_chosen)
        menu.addAction(tr("Move up"), lambda: self._move(-1))
        menu.addAction(tr("Move down"), lambda: self._move(1))
        menu.addSeparator()
        menu.addAction(tr("Remove the overlay"), self.remove_chosen)
        menu.exec(self.list.mapToGlobal(at))

    def _move(self, by: int) -> None:
        key = self.session.overlay_id
        if key:
            self.session.apply("Move in the rack", lambda d: edits.move_overlay(d, key, by))

    def switch_chosen(self) -> None:
        """Hide the selected overlay on the stage, or show it again."""
        if self.session.overlay_id in self._cards:
            self._cards[self.session.overlay_id].switch()

    def copy_chosen(self) -> None:
        """Copy the selected overlay."""
        key = self.session.overlay_id
        if key:
            made = ""

            def edit(d):  # type: ignore[no-untyped-def]
                nonlocal made
                doc, made = edits.copy_overlay(d, key)
                return doc

            self.session.apply("Copy overlay", edit, select=lambda: made)

    def add_variant(self) -> None:
        """Copy the chosen overlay as a variant, whose material follows it."""
        key = self.session.overlay_id
        if self.session.overlay is None:
            return
        made: list[str] = []

        def edit(doc: Document) -> Document:
            doc, twin = add_variant(doc, key)
            made.append(twin)
            return doc

        self.session.apply("Add a variant", edit, select=lambda: made[-1])

    def remove_chosen(self) -> None:
        """Take the selected overlay out of the project."""
        key = self.session.overlay_id
        if key:
            self.session.apply("Remove overlay", lambda d: edits.remove_overlay(d, key))

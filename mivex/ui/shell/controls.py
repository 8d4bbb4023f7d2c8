"""The controls: the settings of the chosen station and nothing else."""

import time
from collections import OrderedDict
from collections.abc import Callable, Iterator

from PySide6.QtCore import Qt, QTimer, Signal
from PySide6.QtWidgets import (
    QApplication,
    QMenu,
    QPushButton,
    QScrollArea,
    QVBoxLayout,
    QWidget,
)

from mivex.core.base.languages import tr
from mivex.ui.fields.fields import Field
from mivex.ui.fields.labels import label
from mivex.ui.fields.line import Line, commit_typing, is_held
from mivex.ui.session.desk import PlaybackController
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session
from mivex.ui.stations import STATIONS
from mivex.ui.stations.base import Page

SLICE = 0.03
"""Seconds of CPU after which the rest of a long column is built in the next turn."""
KEPT = 10
"""Columns that are kept for coming back to."""
HOVER = "Hover over a setting to read what it changes in the picture."
NO_OVERLAY = "F1 lists every key."


class Controls(Page):
    """Column on the right of the window."""

    add_wanted = Signal()
    demo_wanted = Signal()
    tour_wanted = Signal()
    canvas_wanted = Signal(str)

    def __init__(
        self, session: Session, engine: Engine, desk: PlaybackController, choose_file: Callable[[str], str]
    ) -> None:
        super().__init__(session, engine, desk, choose_file)
        self.station = "source"
        self.setFixedWidth(308)
        self.setObjectName("panel")
        self.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        self.pages = QScrollArea()
        self.pages.setWidgetResizable(True)
        self.pages.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        column.addWidget(self.pages, 1)
        column.addWidget(self.hint)
        self._shape: object = self  # like no signature: the first refresh builds
        self._subject: object = None
        self._kept: OrderedDict[str, tuple[QWidget, QVBoxLayout, list[Field], list[Callable[[], None]]]] = OrderedDict()
        self._kept_as, self._keeps = "", False
        self._rest: Iterator[None] | None = None
        self._scrolled = 0
        self._late = QTimer(self, singleShot=True, interval=0)
        self._late.timeout.connect(self.refresh)
        QApplication.instance().focusChanged.connect(self._focus_moved)  # type: ignore[union-attr]
        later = session.refresher.later(self.refresh)
        for signal in (session.changed, session.chosen, session.stepped, engine.inputs_ready, engine.examined, desk.told):
            signal.connect(later)
        engine.prepared.connect(lambda key: later() if key == session.overlay_id else None)
        self.refresh()

    def _focus_moved(self, _old: QWidget | None, now: QWidget | None) -> None:
        while now is not None and now is not self and not isinstance(now, Field):
            now = now.parentWidget()
        if isinstance(now, Field) and self.isAncestorOf(now):
            self.hint.say(now.hint)

    def go(self, station: str) -> None:
        """Show another station."""
        self.station = station
        self.setFixedWidth(STATIONS[station].width)
        self.set_painting(False)
        self.painted_part, self.held_look = -1, ""
        self.faces.rest()
        self.look_wanted.emit("")
        self.refresh()

    def _signature(self) -> object:
        o = self.session.overlay
        if o is None:
            return None
        return self.session.project, o.id, self.station, STATIONS[self.station].shape(self, o)

    def refresh(self) -> None:
        """Show what the document holds; rebuild only if the set of controls is another.

        Nothing is taken from under a caret or a pressed button: where the same overlay only has other controls now (its
        first preparation has ended, say), they follow when it is let go. Where another overlay or station is to be shown,
        what is half typed counts first.
        """
        subject = (self.session.project, self.session.overlay_id, self.station)
        if self._signature() != self._shape:
            if subject == self._subject and is_held(self.pages):
                return  # its fields may be bound to what is not there any more: a step that is another one now
            self.commit_typing()
        shape = self._signature()
        if shape != self._shape:
            self._shape, self._subject = shape, subject
            self._rebuild()
        for f in self._fields:
            f.refresh()
        for live in self.live:
            live()

    def commit_typing(self) -> None:
        """What is half typed in a field counts: it becomes an edit of the overlay that it was typed for."""
        commit_typing(self.pages)

    def add_field(self, field: Field, into: QVBoxLayout | None = None) -> None:
        super().add_field(field, into)
        field.let_go.connect(self._late.start)

    def _rebuild(self) -> None:
        kept = self.pages.verticalScrollBar().value()
        focus = QApplication.focusWidget()
        caret = focus.cursorPosition() if isinstance(focus, Line) else -1
        held = next((i for i, f in enumerate(self._fields) if focus is not None and f.isAncestorOf(focus)), -1)
        name = self._fields[held].name if held >= 0 else ""
        old = self.pages.takeWidget()
        page = self._take_kept(old)
        if page is None:
            page = self._built()
            if held >= len(self._fields):
                self._go_on(at_once=True)
        self.pages.setWidget(page)
        page.show()  # now, not with the next event: the caret comes back below
        self._scrolled = kept
        self._scroll_back()
        if 0 <= held < len(self._fields) and self._fields[held].name == name:
            self._fields[held].setFocus()
            now = QApplication.focusWidget()
            if isinstance(now, Line) and caret >= 0:
                now.setCursorPosition(caret)

    def _scroll_back(self) -> None:
        """Where the column was scrolled to, as soon as it is long enough; until then the eye sees the old picture."""
        self.pages.setUpdatesEnabled(self._rest is None or not self._scrolled)
        if self._rest is None:
            self.pages.verticalScrollBar().setValue(self._scrolled)

    def _go_on(self, *, at_once: bool = False) -> None:
        """Build a further stretch of a long column; what is below the fold can wait for the next turn."""
        begun, first = time.thread_time(), len(self.live)
        while self._rest is not None:
            if next(self._rest, self) is self:
                self._rest = None
            elif not at_once and time.thread_time() - begun > SLICE:
                self.session.refresher.ask(self._go_on)
                break
        for live in self.live[first:]:
            live()
        if self._rest is None:
            self._scroll_back()

    def _take_kept(self, old: QWidget | None) -> QWidget | None:
        """Put the column that was shown aside, and take the one that fits out again, if it was built before.

        Going to and fro between stations and overlays costs a tenth of building anew. Columns with a clock of their own
        are not kept.
        """
        if old is not None:
            if self._keeps and self._rest is None:
                self._kept[self._kept_as] = old, self.column, self._fields, self.live
                while len(self._kept) > KEPT:
                    self._kept.popitem(last=False)[1][0].deleteLater()
            else:
                old.deleteLater()
        self._rest = None
        self._kept_as, self._keeps = repr(self._shape), self.station not in ("sheet", "motion", "layers")
        found = self._kept.pop(self._kept_as, None)
        if found is None:
            return None
        page, self.column, self._fields, self.live = found
        self.hint.say(HOVER if self.session.overlay is not None else NO_OVERLAY)
        return page

    def _built(self) -> QWidget:
        self._fields, self.live = [], []
        page = QWidget()
        whole = QVBoxLayout(page)
        whole.setContentsMargins(12, 10, 10, 12)
        whole.setSpacing(4)
        self.column = QVBoxLayout()
        self.column.setSpacing(4)
        whole.addLayout(self.column)
        whole.addStretch()
        o = self.session.overlay
        if o is None:
            self._build_empty()
            self.hint.say(NO_OVERLAY)
        else:
            station = STATIONS[self.station]
            self.column.addWidget(label(station.title, "title"))
            self.column.addWidget(label(station.what, "soft", wrap=True))
            self.column.addSpacing(6)
            self._rest = station.build(self, o)
            self._go_on()
            self.hint.say(HOVER)
        return page

    def _build_empty(self) -> None:
        self.column.addWidget(label("Begin", "title"))
        self.column.addWidget(
            label(
                "An overlay starts from a picture or an empty canvas. Then follow the track from left to right: lay its "
                "layers, make its alpha, mend its edges, set its blend, place it, deliver it.",
                "soft",
                wrap=True,
            )
        )
        self.column.addSpacing(8)
        canvas = QPushButton(tr("Begin on an empty canvas"))
        menu = QMenu(canvas)
        for kind, words in (
            ("glass", "Glass: dark, faint, smooth"),
            ("decal", "A decal: clear"),
            ("cloth", "Cloth or a screen: solid"),
            ("sprite", "A soft sprite: grey on clear"),
        ):
            menu.addAction(tr(words), lambda k=kind: self.canvas_wanted.emit(k))
        canvas.setMenu(menu)
        for text, signal, name in (
            ("Add pictures …", self.add_wanted, "main"),
            ("Open the demo", self.demo_wanted, ""),
            ("A short tour of the demo", self.tour_wanted, ""),
        ):
            button = QPushButton(tr(text))
            button.setObjectName(name)
            button.clicked.connect(lambda _=False, s=signal: s.emit())  # type: ignore[misc]
            self.column.addWidget(button)
            if name == "main":
                self.column.addWidget(canvas)

"""The controls: the settings of the chosen station and nothing else."""

from collections.abc import Callable

from PySide6.QtCore import QEvent, QObject, Qt, QTimer, Signal
from PySide6.QtWidgets import (
    QApplication,
    QMenu,
    QPushButton,
    QScrollArea,
    QVBoxLayout,
    QWidget,
)

from mivex.ui.fields.fields import Field
from mivex.ui.fields.forms import shown_keys
from mivex.ui.fields.labels import label
from mivex.ui.fields.line import Line, commit_typing, is_held
from mivex.ui.session.desk import Desk
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session
from mivex.ui.stations import STATIONS
from mivex.ui.stations.base import Page


class Controls(Page):
    """Column on the right of the window."""

    add_wanted = Signal()
    demo_wanted = Signal()
    tour_wanted = Signal()
    canvas_wanted = Signal(str)

    def __init__(self, session: Session, engine: Engine, desk: Desk, choose_file: Callable[[str], str]) -> None:
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
        self._late = QTimer(self, singleShot=True, interval=0)
        self._late.timeout.connect(self.refresh)
        session.changed.connect(self.refresh)
        session.chosen.connect(self.refresh)
        session.stepped.connect(self.refresh)
        engine.inputs_ready.connect(self.refresh)
        engine.prepared.connect(lambda key: self.refresh() if key == session.overlay_id else None)
        engine.examined.connect(self.refresh)
        desk.told.connect(self.refresh)
        self.refresh()

    def go(self, station: str) -> None:
        """Show another station."""
        self.station = station
        self.setFixedWidth(STATIONS[station].width)
        self.set_painting(False)
        self.region_part, self.painted_part, self.held_look = -1, -1, ""
        self.second_by = ""
        self.look_wanted.emit("")
        self.refresh()

    def _signature(self) -> object:
        o = self.session.overlay
        if o is None:
            return None
        steps = tuple((s.step, tuple(shown_keys(s))) for s in o.steps)
        packed = tuple(tuple(shown_keys(getattr(s, self.pack_tab))) for s in o.steps if s.step == "pack")
        own = STATIONS[self.station].shape(self, o)
        return (o.id, self.station, own, steps, self.session.step_index, packed, self.pack_tab, o.source.ready,
                bool(o.source.path), o.material.tiling, o.material.blend, o.material.lit,
                o.material.finish.normal.source, o.material.finish.glow.strength > 0,
                tuple(k.name for k in self.session.doc.overlays), o.delivery.format, self.session.place_id,
                tuple((p.id, p.mount, getattr(p, "form", ""), getattr(p, "second", None)) for p in o.places),
                self.second_by, self.engine.get(o.id).meaning,
                self.engine.get(o.id).texture is not None)

    def refresh(self) -> None:
        """Show what the document holds; rebuild only if the set of controls is another.

        Nothing is taken from under a caret or a pressed button: where the same overlay only has other controls now (its
        first preparation has ended, say), they follow when it is let go. Where another overlay or station is to be shown,
        what is half typed counts first.
        """
        subject = (self.session.project, self.session.overlay_id, self.station)
        if self._signature() != self._shape:
            if subject == self._subject and is_held(self.pages):
                for f in self._fields:
                    f.refresh()
                return
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
        self._fields, self.live = [], []
        page = QWidget()
        self.column = QVBoxLayout(page)
        self.column.setContentsMargins(12, 10, 10, 12)
        self.column.setSpacing(4)
        o = self.session.overlay
        if o is None:
            self._build_empty()
            self.hint.say("F1 lists every key.")
        else:
            station = STATIONS[self.station]
            self.column.addWidget(label(station.title, "title"))
            self.column.addWidget(label(station.what, "soft", wrap=True))
            self.column.addSpacing(6)
            station.build(self, o)
            self.hint.say("Hover over a setting to read what it changes in the picture.")
        self.column.addStretch()
        old = self.pages.takeWidget()
        self.pages.setWidget(page)
        page.show()  # now, not with the next event: the caret comes back below
        if old:
            old.deleteLater()
        self.pages.verticalScrollBar().setValue(kept)
        if 0 <= held < len(self._fields) and self._fields[held].name == name:
            self._fields[held].setFocus()
            now = QApplication.focusWidget()
            if isinstance(now, Line) and caret >= 0:
                now.setCursorPosition(caret)

    def _build_empty(self) -> None:
        self.column.addWidget(label("Begin", "title"))
        self.column.addWidget(label(
                "An overlay starts from a picture or an empty canvas. Then follow the track from left to right: lay its "
                "layers, make its alpha, mend its edges, set its blend, place it, deliver it.", "soft", wrap=True))
        self.column.addSpacing(8)
        canvas = QPushButton("Begin on an empty canvas")
        menu = QMenu(canvas)
        for kind, words in (("glass", "Glass: dark, faint, smooth"), ("decal", "A decal: clear"),
                            ("cloth", "Cloth or a screen: solid"), ("sprite", "A soft sprite: grey on clear")):
            menu.addAction(words, lambda k=kind: self.canvas_wanted.emit(k))
        canvas.setMenu(menu)
        for text, signal, name in (("Add pictures …", self.add_wanted, "main"), ("Open the demo", self.demo_wanted, ""),
                                   ("A short tour of the demo", self.tour_wanted, "")):
            button = QPushButton(text)
            button.setObjectName(name)
            button.clicked.connect(lambda _=False, s=signal: s.emit())  # type: ignore[misc]
            self.column.addWidget(button)
            if name == "main":
                self.column.addWidget(canvas)

    def eventFilter(self, watched: QObject, event: QEvent) -> bool:
        if event.type() in (QEvent.Type.Enter, QEvent.Type.FocusIn):
            w: QObject | None = watched
            while w is not None and not isinstance(w, Field):
                w = w.parent()
            if isinstance(w, Field):
                self.hint.say(w.hint)
            elif isinstance(watched, QWidget) and (name := watched.property("step")):
                self.hint.show_step(str(name))
        return super().eventFilter(watched, event)

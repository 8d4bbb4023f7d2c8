"""The controls: the settings of the chosen station and nothing else."""

from collections.abc import Callable
from typing import Any

from PySide6.QtCore import QEvent, QObject, Qt, Signal
from PySide6.QtWidgets import (
    QApplication,
    QPushButton,
    QScrollArea,
    QVBoxLayout,
    QWidget,
)

from mivex.core.material.material import default_material
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Step
from mivex.core.prepare.key_colour import key_from_border
from mivex.core.project import edits
from mivex.core.project.document import Overlay
from mivex.ui.fields.fields import Field, NumberField
from mivex.ui.fields.forms import field_for, shown_keys
from mivex.ui.fields.hint import Hint
from mivex.ui.fields.labels import label
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session
from mivex.ui.shell.track import STATIONS
from mivex.ui.stations.alpha import build_alpha
from mivex.ui.stations.blend import build_blend
from mivex.ui.stations.deliver import build_deliver
from mivex.ui.stations.edges import build_edges
from mivex.ui.stations.place import build_place
from mivex.ui.stations.source import build_source
from mivex.ui.stations.steps import build_steps

_ORDER = {"source": 0, "alpha": 1, "colour": 2, "edges": 3}
WHAT = {"source": "The picture it starts from, and what it holds.",
        "alpha": "What is solid and what is clear.",
        "colour": "What hue its soft parts have; alpha stays apart.",
        "edges": "No rim: hidden colour, mattes, border, frame.",
        "blend": "How it meets what lies behind it.",
        "place": "Where it stands on the stage.",
        "deliver": "What is written, and in which form."}


def insert_at(o: Overlay, step: Step) -> int:
    """Where a new step belongs in the recipe: behind the last one of its station or an earlier one."""
    rank = _ORDER[step.station]
    return 1 + max((i for i, s in enumerate(o.steps) if _ORDER[STEPS[s.step].station] <= rank), default=-1)


class Controls(QWidget):
    """Column on the right of the window."""

    pick_wanted = Signal(object)
    deliver_wanted = Signal(bool)
    add_wanted = Signal()
    demo_wanted = Signal()
    paint_wanted = Signal(bool)

    def __init__(self, session: Session, engine: Engine, choose_file: Callable[[str], str]) -> None:
        super().__init__()
        self.session, self.engine, self.choose_file = session, engine, choose_file
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
        self.hint = Hint()
        column.addWidget(self.hint)
        self.pack_tab = "red"
        self.painting = False
        self._fields: list[Field] = []
        self.live: list[Callable[[], None]] = []
        self._shape: object = self  # like no signature: the first refresh builds
        session.changed.connect(self.refresh)
        session.chosen.connect(self.refresh)
        session.stepped.connect(self.refresh)
        engine.inputs_ready.connect(self.refresh)
        engine.prepared.connect(lambda key: self.refresh() if key == session.overlay_id else None)
        engine.examined.connect(self.refresh)
        self.refresh()

    def go(self, station: str) -> None:
        """Show another station."""
        self.station = station
        self.set_painting(False)
        self.refresh()

    def _signature(self) -> object:
        o = self.session.overlay
        if o is None:
            return None
        steps = tuple((s.step, tuple(shown_keys(s))) for s in o.steps)
        packed = tuple(tuple(shown_keys(getattr(s, self.pack_tab))) for s in o.steps if s.step == "pack")
        return (o.id, self.station, steps, self.session.step_index, packed, self.pack_tab, o.source.ready,
                bool(o.source.path), o.material.tiling, o.material.blend, o.material.lit,
                o.material.finish.normal.source, o.material.finish.glow.strength > 0,
                tuple(k.name for k in self.session.doc.overlays), o.delivery.format, self.session.place_id,
                tuple((p.id, p.mount) for p in o.places), self.engine.get(o.id).meaning,
                self.engine.get(o.id).texture is not None)

    def refresh(self) -> None:
        """Show what the document holds; rebuild only if the set of controls is another."""
        shape = self._signature()
        if shape != self._shape:
            self._shape = shape
            self._rebuild()
        for f in self._fields:
            f.refresh()
        for live in self.live:
            live()

    def _rebuild(self) -> None:
        kept = self.pages.verticalScrollBar().value()
        focus = QApplication.focusWidget()
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
            self.column.addWidget(label(STATIONS[self.station], "title"))
            self.column.addWidget(label(WHAT[self.station], "soft", wrap=True))
            self.column.addSpacing(6)
            _PAGES[self.station](self, o)
            self.hint.say("Hover over a setting to read what it changes in the picture.")
        self.column.addStretch()
        old = self.pages.takeWidget()
        self.pages.setWidget(page)
        if old:
            old.deleteLater()
        self.pages.verticalScrollBar().setValue(kept)
        if 0 <= held < len(self._fields) and self._fields[held].name == name:
            self._fields[held].setFocus()

    def _build_empty(self) -> None:
        self.column.addWidget(label("Begin", "title"))
        self.column.addWidget(label("An overlay starts from a picture. Then follow the track from left to right: "
                                     "make its alpha, mend its edges, set its blend, place it, deliver it.",
                                     "soft", wrap=True))
        self.column.addSpacing(8)
        for text, signal, name in (("Add pictures …", self.add_wanted, "main"),
                                   ("Open the demo", self.demo_wanted, "")):
            button = QPushButton(text)
            button.setObjectName(name)
            button.clicked.connect(lambda _=False, s=signal: s.emit())  # type: ignore[misc]
            self.column.addWidget(button)

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

    def add_field(self, field: Field, into: QVBoxLayout | None = None) -> None:
        """Put an editor into the page, or into a part of it."""
        field.released.connect(self.session.end_merge)
        field.installEventFilter(self)
        for child in field.findChildren(QWidget):
            child.installEventFilter(self)
        self._fields.append(field)
        (into or self.column).addWidget(field)

    def edit_with(self, label: str, merge: str, edit: Callable[[Any, Any], Any]) -> Callable[[object], None]:
        """A slot that makes an edit with the value it is given."""
        return lambda value: self.session.apply(label, lambda d: edit(d, value), merge)

    def model_field(self, model: type, key: str, part: str, o: Overlay) -> None:
        """The editor of one setting of an overlay's source, material or delivery."""
        def read() -> Any:
            now = self.session.doc.overlay(o.id) or o
            return getattr(getattr(now, part), key)

        field = field_for(model, key, read, self.choose_file)
        if part == "material":
            field.default = getattr(default_material(o.kind), key)
            if isinstance(field, NumberField):
                field.bar.default = float(field.default)
        field.edited.connect(self.edit_with(f"Change {field.name.lower()}", f"{o.id} {part} {key}",
                                        lambda d, v: edits.set_fields(d, o.id, part, **{key: v})))
        self.add_field(field)

    def choose_pack(self, channel: str) -> None:
        """Show the settings of another packed channel."""
        self.pack_tab = channel
        self.refresh()

    def set_painting(self, on: bool) -> None:
        """Begin or end painting strokes in the flat proof."""
        if on != self.painting:
            self.painting = on
            self.paint_wanted.emit(on)
            self.refresh()

    def recipe(self, o: Overlay, station: str) -> None:
        """The steps of a station, each a card."""
        build_steps(self, o, station)

    def add_step(self, step: Step) -> None:
        """Put a step where it belongs in the selected overlay's recipe."""
        o = self.session.overlay
        if o is not None:
            at, key = insert_at(o, step), o.id
            fresh = step.params(step=step.name)
            seen = self.engine.get(key).before
            if step.name == "key-colour" and seen is not None:
                fresh = key_from_border(seen.values)  # only the border is looked at
            elif step.name == "keep-coverage":
                fresh = step.params.model_validate({"step": step.name, "cutoff": min(max(o.material.cutoff, 0.01), 0.99)})
            self.session.step_index = at
            self.session.apply(f"Add {step.label.lower()}", lambda d: edits.add_step(d, key, fresh, at))


_PAGES: dict[str, Callable[[Controls, Overlay], None]] = {
    "source": build_source, "alpha": build_alpha, "colour": lambda c, o: c.recipe(o, "colour"), "edges": build_edges,
    "blend": build_blend, "place": build_place, "deliver": build_deliver}

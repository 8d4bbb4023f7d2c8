"""The controls: the settings of the chosen station and nothing else."""

from collections.abc import Callable
from typing import Any

from PySide6.QtCore import QEvent, QObject, Qt, Signal
from PySide6.QtWidgets import (
    QCheckBox,
    QFrame,
    QHBoxLayout,
    QMenu,
    QPushButton,
    QScrollArea,
    QVBoxLayout,
    QWidget,
)

from mivex.core.material.material import default_material
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Step
from mivex.core.project import edits
from mivex.core.project.document import Overlay
from mivex.ui import theme
from mivex.ui.engine import Engine
from mivex.ui.fields import ColourField, Field, NumberField
from mivex.ui.forms import field_for, shown_keys
from mivex.ui.labels import label
from mivex.ui.session import Session
from mivex.ui.station_blend import build_blend
from mivex.ui.station_deliver import build_deliver
from mivex.ui.station_edges import build_edges
from mivex.ui.station_place import build_place
from mivex.ui.station_source import build_source
from mivex.ui.track import STATIONS

_ORDER = {"source": 0, "alpha": 1, "edges": 2}
WHAT = {"source": "The picture it starts from, and what it holds.",
        "alpha": "What is solid and what is clear.",
        "edges": "No rim: hidden colour, mattes, borders.",
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
    file_wanted = Signal(object)
    deliver_wanted = Signal(bool)
    add_wanted = Signal()
    demo_wanted = Signal()

    def __init__(self, session: Session, engine: Engine, choose_file: Callable[[], str]) -> None:
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
        self.hint = label("", "hint", wrap=True)
        self.hint.setFixedHeight(50)
        self.hint.setAlignment(Qt.AlignmentFlag.AlignTop)
        column.addWidget(self.hint)
        self._fields: list[Field] = []
        self.live: list[Callable[[], None]] = []
        self._shape: object = self  # like no signature: the first refresh builds
        session.changed.connect(self.refresh)
        session.chosen.connect(self.refresh)
        engine.prepared.connect(lambda key: self.refresh() if key == session.overlay_id else None)
        engine.examined.connect(self.refresh)
        self.refresh()

    def go(self, station: str) -> None:
        """Show another station."""
        self.station = station
        self.refresh()

    def _signature(self) -> object:
        o = self.session.overlay
        if o is None:
            return None
        steps = tuple((s.step, tuple(shown_keys(s))) for s in o.steps)
        return (o.id, self.station, steps, o.material.blend, o.delivery.format, self.session.place_id,
                tuple((p.id, p.mount) for p in o.places), self.engine.meanings.get(o.id),
                o.id in self.engine.textures)

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
        self._fields, self.live = [], []
        page = QWidget()
        self.column = QVBoxLayout(page)
        self.column.setContentsMargins(12, 10, 10, 12)
        self.column.setSpacing(4)
        o = self.session.overlay
        if o is None:
            self._build_empty()
            self.hint.setText("F1 lists every key.")
        else:
            self.column.addWidget(label(STATIONS[self.station], "title"))
            self.column.addWidget(label(WHAT[self.station], "soft", wrap=True))
            self.column.addSpacing(6)
            _PAGES[self.station](self, o)
            self.hint.setText("Hover over a setting to read what it changes in the picture.")
        self.column.addStretch()
        old = self.pages.takeWidget()
        self.pages.setWidget(page)
        if old:
            old.deleteLater()
        self.pages.verticalScrollBar().setValue(kept)

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
                self.hint.setText(w.hint)
        return super().eventFilter(watched, event)

    def add_field(self, field: Field, into: QVBoxLayout | None = None) -> None:
        field.released.connect(self.session.end_merge)
        field.installEventFilter(self)
        for child in field.findChildren(QWidget):
            child.installEventFilter(self)
        self._fields.append(field)
        (into or self.column).addWidget(field)

    def edit_with(self, label: str, merge: str, edit: Callable[[Any, Any], Any]) -> Callable[[object], None]:
        return lambda value: self.session.apply(label, lambda d: edit(d, value), merge)

    def model_field(self, model: type, key: str, part: str, o: Overlay) -> None:
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

    # Recipe steps --------------------------------------------------------------------------------

    def recipe(self, o: Overlay, station: str) -> None:
        self.column.addSpacing(8)
        rows = [i for i, s in enumerate(o.steps) if STEPS[s.step].station == station]
        head = QHBoxLayout()
        head.addWidget(label("Steps", "section"))
        head.addStretch()
        add = QPushButton("Add a step")
        add.setIcon(theme.icon("plus"))
        menu = QMenu(add)
        menu.setToolTipsVisible(True)
        for step in STEPS.values():
            if step.station == station:
                action = menu.addAction(step.label, lambda s=step: self.add_step(s))
                action.setToolTip(step.hint)
        add.setMenu(menu)
        head.addWidget(add)
        self.column.addLayout(head)
        if not rows:
            told = {"source": "None: the picture is used at its own size.",
                    "alpha": "None: the picture's own alpha is used as it is.",
                    "edges": "None: colour under the edges is as the picture has it."}[station]
            self.column.addWidget(label(told, "figure", wrap=True))
        for i in rows:
            self.column.addWidget(self._step_card(o, i))

    def add_step(self, step: Step) -> None:
        """Put a step where it belongs in the selected overlay's recipe."""
        o = self.session.overlay
        if o is not None:
            at, key = insert_at(o, step), o.id
            fresh = step.params(step=step.name)
            self.session.apply(f"Add {step.label.lower()}", lambda d: edits.add_step(d, key, fresh, at))

    def _step_card(self, o: Overlay, index: int) -> QWidget:
        params = o.steps[index]
        step = STEPS[params.step]
        card = QFrame()
        card.setObjectName("card")
        box = QVBoxLayout(card)
        box.setContentsMargins(9, 5, 5, 7)
        box.setSpacing(2)
        head = QHBoxLayout()
        head.setSpacing(0)
        switch = QCheckBox(step.label)
        switch.setToolTip(step.hint)
        switch.setStyleSheet("font-weight: 600;")
        switch.clicked.connect(lambda on: self.session.apply(
            "Switch step", lambda d: edits.set_step(d, o.id, index, on=on)))
        head.addWidget(switch)
        head.addStretch()
        count = len(o.steps)
        for name, tip, ok, edit in (
                ("up", "Earlier", index > 0, lambda d: edits.move_step(d, o.id, index, -1)),
                ("down", "Later", index < count - 1, lambda d: edits.move_step(d, o.id, index, 1)),
                ("remove", "Remove the step", True, lambda d: edits.remove_step(d, o.id, index))):
            button = theme.tool(name, tip, theme.SOFT)
            button.setAccessibleName(f"{tip}: {step.label}")
            button.setEnabled(ok)
            button.clicked.connect(lambda _=False, t=tip, e=edit: self.session.apply(t, e))  # type: ignore[misc]
            head.addWidget(button)
        box.addLayout(head)
        self.live.append(lambda: switch.setChecked(self._step_now(o, index, "on", True)))
        for key in shown_keys(params):
            info = type(params).model_fields[key]
            field = field_for(type(params), key,
                              lambda k=key, i=info: self._step_now(o, index, k, i.default), self.choose_file)  # type: ignore[misc]
            field.edited.connect(self.edit_with(f"Change {field.name.lower()}", f"{o.id} step {index} {key}",
                                            lambda d, v, k=key: edits.set_step(d, o.id, index, **{k: v})))
            if isinstance(field, ColourField):
                field.pick_wanted.connect(lambda k=key: self.pick_wanted.emit(  # type: ignore[misc]
                    lambda rgb: self.session.apply("Pick colour",
                                                   lambda d: edits.set_step(d, o.id, index, **{k: rgb}))))
            self.add_field(field, box)
        return card

    def _step_now(self, o: Overlay, index: int, key: str, fallback: Any) -> Any:
        now = self.session.doc.overlay(o.id)
        if now is None or index >= len(now.steps):
            return fallback
        return getattr(now.steps[index], key, fallback)


_PAGES: dict[str, Callable[[Controls, Overlay], None]] = {
    "source": build_source, "alpha": lambda c, o: c.recipe(o, "alpha"), "edges": build_edges, "blend": build_blend,
    "place": build_place, "deliver": build_deliver}


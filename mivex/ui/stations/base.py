"""What a station is, and the page that it builds its controls on."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from PySide6.QtCore import QObject, Signal
from PySide6.QtWidgets import QVBoxLayout, QWidget

from mivex.core.material.material import default_material
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Step
from mivex.core.prepare.key_colour import key_from_border
from mivex.core.project import edits
from mivex.core.project.document import Overlay
from mivex.ui.fields.fields import Field, NumberField
from mivex.ui.fields.forms import field_for
from mivex.ui.fields.hint import Hint
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session

_ORDER = {"source": 0, "alpha": 1, "colour": 2, "edges": 3}


def insert_at(o: Overlay, step: Step) -> int:
    """Where a new step belongs in the recipe: behind the last one of its station or an earlier one."""
    rank = _ORDER[step.station]
    return 1 + max((i for i, s in enumerate(o.steps) if _ORDER[STEPS[s.step].station] <= rank), default=-1)


@dataclass(frozen=True)
class Station:
    """A stop on the track. Registered by standing as ``STATION`` in a module of `mivex.ui.stations`.

    Attributes
    ----------
    key, title : str
    what : str
        What is set there, in one sentence.
    place : int
        Where on the track it stands.
    build : callable
        ``build(page, overlay)`` puts its controls on the page.
    touched : callable
        Whether anything of an overlay has been set there.
    """

    key: str
    title: str
    what: str
    place: int
    build: "Callable[[Page, Overlay], None]"
    touched: Callable[[Overlay], bool]


def has_steps(station: str) -> Callable[[Overlay], bool]:
    """Whether an overlay's recipe has steps of a station."""
    return lambda o: any(STEPS[s.step].station == station for s in o.steps)


class Page(QWidget):
    """What stations build on: a column of fields that follow the document, and the edits that they make."""

    deliver_wanted = Signal(bool)
    paint_wanted = Signal(bool)
    pick_wanted = Signal(object)

    def __init__(self, session: Session, engine: Engine, choose_file: Callable[[str], str],
                 parent: QObject | None = None) -> None:
        super().__init__()
        self.session, self.engine, self.choose_file = session, engine, choose_file
        self.column = QVBoxLayout()
        self.hint = Hint()
        self.pack_tab = "red"
        self.painting = False
        self._fields: list[Field] = []
        self.live: list[Callable[[], None]] = []

    def refresh(self) -> None:
        """Show what the document holds."""
        raise NotImplementedError

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

"""One number of a placement as a field, and the fields of a panel's cuts."""

from dataclasses import dataclass
from typing import Any

from PySide6.QtWidgets import QHBoxLayout, QPushButton

from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message
from mivex.core.project import edits
from mivex.core.project.document import Overlay
from mivex.core.stage.placements_model import PanelPlace, Place
from mivex.ui.fields.fields import Field
from mivex.ui.fields.number import NumberField
from mivex.ui.stations.base import Page


@dataclass(frozen=True)
class PlaceNumber:
    """A number of a placement: its words, setting, the bar's span, what may be typed, unit, usual value, axis."""

    name: str
    hint: str
    key: str
    span: tuple[float, float]
    hard: tuple[float, float]
    unit: str = "m"
    usual: float = 0.0
    axis: int | None = None


METRES = (0.001, 100)
TURNS = (-360, 360)
_CUT = (
    PlaceNumber(
        "Cut direction",
        "Where what is kept lies: 0° to the right of the line, 90° above it.",
        "angle",
        (-180, 180),
        TURNS,
        "°",
    ),
    PlaceNumber("Cut distance", "Metres of the line from the pivot, in that direction.", "at", (-2, 2), (-200, 200)),
)


def placement_now(c: Page, o: Overlay, place: Place) -> Any:
    """The placement as it is at this moment."""
    overlay = c.session.doc.overlay(o.id) or o
    return next((p for p in overlay.places if p.id == place.id), place)


def add_edited(c: Page, o: Overlay, place: Place, field: Field, key: str) -> None:
    """Add an editor whose values become one setting of the placement."""
    words = Message("Change {name}", name=InSentence(field.name))
    field.edited.connect(
        c.edit_with(words, f"{place.id} {key}", lambda d, v: edits.set_place(d, o.id, place.id, **{key: v}))
    )
    c.add_field(field)


def add_number(c: Page, o: Overlay, place: Place, spec: PlaceNumber) -> None:
    """Add a number of the placement."""

    def read() -> float:
        value = getattr(placement_now(c, o, place), spec.key)
        return float(value if spec.axis is None else value[spec.axis])

    def write(d: Any, v: float) -> Any:
        value: object = v
        if spec.axis is not None:
            at = list(getattr(placement_now(c, o, place), spec.key))
            at[spec.axis] = v
            value = tuple(at)
        return edits.set_place(d, o.id, place.id, **{spec.key: value})

    low, high = spec.span
    field = NumberField(
        spec.name,
        spec.hint,
        read,
        spec.usual,
        low=low,
        high=high,
        hard=spec.hard,
        unit=spec.unit,
        whole=spec.key == "count",
    )
    words = Message("Change {name}", name=InSentence(spec.name))
    field.edited.connect(c.edit_with(words, f"{place.id} {spec.name}", write))
    c.add_field(field)


def cut_fields(c: Page, o: Overlay, place: PanelPlace) -> None:
    """Split the panel in two, and the lines that it was cut along."""
    row = QHBoxLayout()
    halve = QPushButton(tr("Split in two"))
    halve.setToolTip(tr("Two placements that show the same together; each comes in the order by its own middle."))
    texture = c.engine.get(o.id).texture
    pivot = texture.pivot if texture is not None else (0.5, 0.5)
    halve.clicked.connect(
        lambda: c.session.apply("Split the placement", lambda d: edits.split_place(d, o.id, place.id, pivot))
    )
    row.addWidget(halve)
    if place.cuts:
        whole = QPushButton(tr("Make it whole"))
        whole.setToolTip(tr("Shows the whole panel again; its other parts stay until they are removed."))
        whole.clicked.connect(
            lambda: c.session.apply("Make the placement whole", lambda d: edits.set_place(d, o.id, place.id, cuts=()))
        )
        row.addWidget(whole)
    row.addStretch()
    c.column.addLayout(row)
    for k in range(len(place.cuts)):
        for spec in _CUT:
            _cutadd_number(c, o, place, k, spec)


def _cutadd_number(c: Page, o: Overlay, place: PanelPlace, k: int, spec: PlaceNumber) -> None:
    """One number of one of a panel's cuts."""

    def cuts() -> Any:
        return placement_now(c, o, place).cuts

    def read() -> float:
        rows = cuts()
        return float(getattr(rows[k], spec.key)) if k < len(rows) else 0.0

    def write(d: Any, v: float) -> Any:
        rows = list(cuts())
        rows[k] = rows[k].model_copy(update={spec.key: v})
        return edits.set_place(d, o.id, place.id, cuts=tuple(rows))

    low, high = spec.span
    field = NumberField(spec.name, spec.hint, read, spec.usual, low=low, high=high, hard=spec.hard, unit=spec.unit)
    words = Message("Change {name}", name=InSentence(spec.name))
    field.edited.connect(c.edit_with(words, f"{place.id} cut {k} {spec.key}", write))
    c.add_field(field)

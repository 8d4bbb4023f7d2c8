"""Numbers of a whole effect: its place, its dials, its lamp, its bounds."""

from collections.abc import Callable, Sequence
from typing import Any

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QHBoxLayout, QPushButton, QSizePolicy

from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message, joined, term
from mivex.core.motion.model import DIAL_WORDS, DIALS, Effect, ExposedParameters, Lamp, Travel
from mivex.core.project import edits
from mivex.ui.fields.fields import TextField
from mivex.ui.fields.forms import field_for, shown_keys
from mivex.ui.fields.labels import label
from mivex.ui.fields.ranges import BarsField, vector_field
from mivex.ui.stations import motion_acts as acts
from mivex.ui.stations.base import Page


def whole_effect(c: Page) -> None:
    """Place, axis, seed, dials, lamp, bounds of the chosen effect."""
    found = c.session.doc.effect(c.desk.effect_id)
    if found is None:
        return
    key = found.id

    def read() -> Any:
        return c.session.doc.effect(key) or found

    def put(words: str, **names: str) -> Callable[[object], None]:
        name = next(iter(names))
        return c.edit_with(
            Message("Change {words}", words=term(words)),
            Message("effect {key} {name}", key=key, name=name),
            lambda d, v: edits.set_effect(d, key, **{name: v}),
        )

    name = TextField("Name", "Name of the effect.", lambda: read().name, found.name)
    name.edited.connect(put("name", name=""))
    c.add_field(name)
    at = vector_field(
        "Stands at",
        "Metres across, up, towards the viewer.",
        lambda: read().at,
        (0.0, 0.5, 0.8),
        low=-4.0,
        high=4.0,
        hard=(-100.0, 100.0),
    )
    at.edited.connect(put("place", at=""))
    c.add_field(at)
    turned = BarsField(
        "Axis",
        "Yaw and pitch of its axis, and a roll about it; pitch 90 points up.",
        lambda: (read().yaw, read().pitch, read().roll),
        (0.0, 90.0, 0.0),
        spans=[(-180.0, 180.0)] * 3,
        hard=(-360.0, 360.0),
        unit="°",
        names=["yaw", "pitch", "roll"],
    )
    turned.edited.connect(
        c.edit_with(
            "Change axis",
            Message("effect {key} axis", key=key),
            lambda d, v: edits.set_effect(d, key, yaw=v[0], pitch=v[1], roll=v[2]),
        )
    )
    c.add_field(turned)
    both = BarsField(
        "Scale, seed",
        "Of the whole effect; another seed, other chances.",
        lambda: (read().scale, read().seed),
        (1.0, 1),
        spans=[(0.1, 4.0), (1.0, 100.0)],
        hard=(0.001, 2e9),
        names=["scale", "seed"],
        whole=(False, True),
    )
    both.edited.connect(
        c.edit_with(
            "Change scale or seed",
            Message("effect {key} scale", key=key),
            lambda d, v: edits.set_effect(d, key, scale=min(v[0], 1000.0), seed=round(v[1])),
        )
    )
    c.add_field(both)
    of = c.session.doc.effect(found.copy_of) if found.copy_of else None
    _dials(c, found, of)
    if of is None:
        _open_to_copies(c, found)
        _travel(c, found)
        _lamp(c, found)
    _bounds(c, found)


def _dials(c: Page, found: Effect, of: Effect | None) -> None:
    """What may be changed of an effect as a whole; of a copy: what its original leaves open."""
    key = found.id

    def read() -> Any:
        return c.session.doc.effect(key) or found

    opened = of.opened if of is not None else DIALS
    c.column.addSpacing(6)
    c.column.addWidget(
        label("Dials" if of is None else Message("Dials that “{name}” leaves open", name=of.name), "section")
    )
    if of is not None and not opened:
        c.column.addWidget(label("None. Open some there.", "figure"))
    for dial in opened:
        field = field_for(ExposedParameters, dial, lambda k=dial: getattr(read().dials, k))  # type: ignore[misc]
        field.edited.connect(
            c.edit_with(
                Message("Change {name}", name=InSentence(field.name)),
                Message("effect {key} dial {dial}", key=key, dial=term(dial)),
                lambda d, v, k=dial: (  # type: ignore[misc]
                    edits.set_effect(d, key, dials=edits.revalidated(read().dials, **{k: v}))
                ),
            )
        )
        c.add_field(field)


def _open_to_copies(c: Page, found: Effect) -> None:
    """Which dials copies of the effect have."""
    row = QHBoxLayout()
    c.column.addWidget(label("Left open to copies", "soft"))
    for dial in DIALS:
        box = QPushButton(tr(DIAL_WORDS[dial]))
        box.setCheckable(True)
        box.setObjectName("chip")
        box.setSizePolicy(QSizePolicy.Policy.Ignored, QSizePolicy.Policy.Fixed)
        box.setStyleSheet("padding: 4px 2px;")
        box.setChecked(dial in found.opened)
        box.clicked.connect(lambda on=False, k=dial: _open(c, found.id, k, on=on))  # type: ignore[misc]
        row.addWidget(box)
    c.column.addLayout(row)


def _lamp(c: Page, found: Effect) -> None:
    """The light that an effect carries."""
    shown = ("on", *(("colour", "strength", "reach", "flicker", "rate", "above") if found.lamp.on else ()))
    _part(c, found, "lamp", Lamp, "Lamp", shown)


def _travel(c: Page, found: Effect) -> None:
    """How an effect moves."""
    _part(
        c,
        found,
        "travel",
        Travel,
        "On the way",
        [k for k in shown_keys(found.travel) if k != "carried" or found.travel.moves],
    )


def _part(c: Page, found: Effect, part: str, model: type, title: str, keys: Sequence[str]) -> None:
    """The settings of a part that belongs to an effect as a whole."""
    key = found.id

    def read() -> Any:
        return getattr(c.session.doc.effect(key) or found, part)

    c.column.addSpacing(6)
    c.column.addWidget(label(title, "section"))
    for setting in keys:
        field = field_for(model, setting, lambda k=setting: getattr(read(), k))  # type: ignore[misc]
        field.edited.connect(
            c.edit_with(
                Message("Change {name}", name=InSentence(field.name)),
                f"effect {key} {part} {setting}",
                lambda d, v, k=setting: (  # type: ignore[misc]
                    edits.set_effect(d, key, **{part: edits.revalidated(read(), **{k: v})})
                ),
            )
        )
        c.add_field(field)


def _bounds(c: Page, found: Effect) -> None:
    """*Fewer, larger*, and the box of its particles."""
    c.column.addSpacing(6)
    row = QHBoxLayout()
    fewer = QPushButton(tr("Fewer, larger …"))
    fewer.setToolTip(tr("Finds the rate and size with which fewer particles cover as much"))
    fewer.clicked.connect(c.desk.fewer_wanted)
    row.addWidget(fewer)
    bounds = QPushButton(tr("Set bounds" if found.bounds is None else "No bounds"))
    bounds.setToolTip(tr("The box of its particles, as their motion says; a receiver cuts the effect off by it"))
    bounds.clicked.connect(lambda: acts.set_bounds(c))
    row.addWidget(bounds)
    row.addStretch()
    c.column.addLayout(row)
    if found.bounds is not None:
        words = joined("  ", (Message("{a:.2f} to {b:.2f}", a=a, b=b) for a, b in zip(*found.bounds, strict=True)))
        note = label(Message("Bounds: {words} m", words=term(words)), "figure", wrap=True)
        note.setTextInteractionFlags(Qt.TextInteractionFlag.TextSelectableByMouse)
        c.column.addWidget(note)


def _open(c: Page, key: str, dial: str, *, on: bool) -> None:
    """Leave a dial open to copies, or keep it."""
    found = c.session.doc.effect(key)
    if found is not None:
        opened = tuple(d for d in DIALS if (d in found.opened and d != dial) or (d == dial and on))
        c.session.apply("Leave a dial open", lambda d: edits.set_effect(d, key, opened=opened))

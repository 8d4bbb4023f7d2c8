"""The steps of a station: a card each, with its settings; only the active one is open where there are many."""

from collections.abc import Callable
from typing import Any

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QCheckBox, QFrame, QHBoxLayout, QMenu, QPushButton, QVBoxLayout, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message, joined, term
from mivex.core.prepare import STEPS
from mivex.core.prepare.channels import CHANNELS, PackedChannel
from mivex.core.project import edits
from mivex.core.project.document import Overlay
from mivex.core.proof.histogram import histogram
from mivex.ui import theme
from mivex.ui.fields.editors import CurveField, LevelsEdit, StrokesField
from mivex.ui.fields.fields import ColourField
from mivex.ui.fields.forms import field_for, shown_keys
from mivex.ui.fields.labels import enable, label
from mivex.ui.stations.base import Page

OPEN_AT_ONCE = 2
"""So many steps of a station are shown open together; of more, only the active one."""
NONE_YET = {
    "source": "None: the picture is used at its own size.",
    "alpha": "None: the picture's own alpha is used as it is.",
    "colour": "None: the picture's own colours are used.",
    "edges": "None: colour under the edges is as the picture has it.",
}


def steps_shape(c: Page, o: Overlay) -> object:
    """What decides which cards and fields there are; for stations that hold steps."""
    packed = tuple(tuple(shown_keys(getattr(s, c.pack_tab))) for s in o.steps if s.step == "pack")
    return tuple((s.step, tuple(shown_keys(s))) for s in o.steps), c.session.step_index, packed, c.pack_tab


def build_steps(c: Page, o: Overlay, station: str) -> None:
    """Heading, the button that adds a step, and a card for each."""
    c.column.addSpacing(8)
    rows = [i for i, s in enumerate(o.steps) if STEPS[s.step].station == station]
    head = QHBoxLayout()
    head.addWidget(label("Steps", "section"))
    head.addStretch()
    add = QPushButton(tr("Add a step"))
    add.setIcon(theme.icon("plus"))
    menu = QMenu(add)
    for step in sorted((s for s in STEPS.values() if s.station == station), key=lambda s: s.label):
        action = menu.addAction(tr(step.label), lambda s=step: c.add_step(s))
        action.hovered.connect(lambda s=step: c.hint.show_step(s.name))
    add.setMenu(menu)
    head.addWidget(add)
    c.column.addLayout(head)
    if not rows:
        c.column.addWidget(label(NONE_YET[station], "figure", wrap=True))
    active = c.session.step_index if c.session.step_index in rows else rows[-1] if rows else -1
    for i in rows:
        c.column.addWidget(_card(c, o, i, len(rows) <= OPEN_AT_ONCE or i == active, i == active and len(rows) > 1))


def _now(c: Page, o: Overlay, index: int) -> Any:
    now = c.session.doc.overlay(o.id)
    return now.steps[index] if now is not None and index < len(now.steps) else o.steps[index]


class _Card(QFrame):
    """A card that becomes the active step when it is pressed, and shows what the step does when the pointer comes in."""

    def __init__(self, press: Callable[[], None], enter: Callable[[], None]) -> None:
        super().__init__()
        self._press, self._enter = press, enter

    def enterEvent(self, event) -> None:  # type: ignore[no-untyped-def]
        super().enterEvent(event)
        self._enter()

    def mousePressEvent(self, event) -> None:  # type: ignore[no-untyped-def]
        event.accept()
        self._press()


def _card(c: Page, o: Overlay, index: int, is_open: bool, active: bool) -> QWidget:
    params = o.steps[index]
    step = STEPS[params.step]
    card = _Card(lambda: c.session.activate(index), lambda: c.hint.show_step(step.name))
    card.setObjectName("active" if active else "card")
    box = QVBoxLayout(card)
    box.setContentsMargins(9, 5, 5, 7 if is_open else 5)
    box.setSpacing(2)
    head = QHBoxLayout()
    head.setSpacing(0)
    switch = QCheckBox(tr(step.label))
    switch.setStyleSheet("font-weight: 600;")
    switch.clicked.connect(lambda on: c.session.apply("Switch step", lambda d: edits.set_step(d, o.id, index, on=on)))
    head.addWidget(switch)
    head.addStretch()
    count = len(o.steps)
    for name, tip, ok, edit in (
        ("up", "Earlier", index > 0, lambda d: edits.move_step(d, o.id, index, -1)),
        ("down", "Later", index < count - 1, lambda d: edits.move_step(d, o.id, index, 1)),
        ("remove", "Remove the step", True, lambda d: edits.remove_step(d, o.id, index)),
    ):
        button = theme.tool(name, tip, theme.SOFT)
        button.setAccessibleName(tr(Message("{tip}: {label}", tip=term(tip), label=term(step.label))))
        enable(button, ok, "It is the first step" if name == "up" else "It is the last step")
        button.clicked.connect(lambda _=False, t=tip, e=edit: c.session.apply(t, e))  # type: ignore[misc]
        head.addWidget(button)
    box.addLayout(head)
    c.live.append(lambda: switch.setChecked(bool(_now(c, o, index).on)))
    if not is_open:
        return card
    if params.step == "unmatte":
        said = label("", "figure", wrap=True)
        box.addWidget(said)

        def follow() -> None:
            t = c.engine.get(o.id).texture
            words = [
                n.values["words"]
                for n in (t.notes if t else ())
                if isinstance(n, Message) and n.values.get("label") == step.label
            ]
            said.setText(tr(joined(" ", words[:1])))
            said.setVisible(bool(words))

        c.live.append(follow)
    if params.step == "levels":
        _levels(c, o, index, box)
    for key in shown_keys(params):
        if isinstance(getattr(params, key), PackedChannel):
            continue
        _setting(c, o, index, (key,), type(params), key, box)
    if params.step == "pack":
        _packed(c, o, index, box)
    return card


def _setting(c: Page, o: Overlay, index: int, path: tuple[str, ...], model: type, key: str, box: QVBoxLayout) -> None:
    """The editor of one setting, or of a setting of one packed channel."""

    def read() -> Any:
        value = _now(c, o, index)
        for part in path:
            value = getattr(value, part)
        return value

    def write(doc: Any, value: Any) -> Any:
        if len(path) == 2:
            outer = getattr(_now(c, o, index), path[0])
            value = edits.revalidated(outer, **{path[1]: value})
        return edits.set_step(doc, o.id, index, **{path[0]: value})

    field = field_for(model, key, read, c.choose_file)
    merge = f"{o.id} step {index} {'.'.join(path)}"
    field.edited.connect(c.edit_with(Message("Change {name}", name=InSentence(field.name)), merge, write))
    field.released.connect(lambda: c.session.activate(index))
    if isinstance(field, ColourField):
        field.pick_wanted.connect(
            lambda: c.pick_wanted.emit(lambda rgb: c.session.apply("Pick colour", lambda d: write(d, rgb)))
        )
    if isinstance(field, CurveField):

        def counts() -> None:
            t = c.engine.input_of(o.id, index)
            which = {"red": 0, "green": 1, "blue": 2, "alpha": 3}.get(getattr(_now(c, o, index), "channel", "alpha"), 1)
            field.edit.counts = None if t is None else histogram(t).counts[which]
            field.edit.update()

        c.live.append(counts)
    if isinstance(field, StrokesField):
        c.live.append(lambda: field.paint.setChecked(c.painting))
        field.paint_wanted.connect(lambda on: (c.session.activate(index), c.set_painting(on)))
    c.add_field(field, box)


def _levels(c: Page, o: Overlay, index: int, box: QVBoxLayout) -> None:
    edit = LevelsEdit()
    edit.changed.connect(
        lambda key, v: c.session.apply(
            "Change levels", lambda d: edits.set_step(d, o.id, index, **{key: v}), f"{o.id} step {index} levels {key}"
        )
    )
    edit.released.connect(c.session.end_merge)
    box.addWidget(edit)

    def live() -> None:
        now = _now(c, o, index)
        edit.values = {k: float(getattr(now, k)) for k in edit.values}
        t = c.engine.input_of(o.id, index)
        if t is not None:
            counts = histogram(t).counts
            which = {"red": 0, "green": 1, "blue": 2, "alpha": 3}.get(now.channel)
            edit.counts = counts[:3].sum(axis=0) if which is None else counts[which]
        edit.update()

    c.live.append(live)


def _packed(c: Page, o: Overlay, index: int, box: QVBoxLayout) -> None:
    """Settings of one packed channel, chosen by four buttons."""
    row = QHBoxLayout()
    row.setSpacing(4)
    for channel in CHANNELS:
        button = QPushButton(tr(channel.capitalize()))
        button.setCheckable(True)
        button.setChecked(channel == c.pack_tab)
        button.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        button.clicked.connect(lambda _=False, k=channel: c.choose_pack(k))  # type: ignore[misc]
        row.addWidget(button, 1)
    box.addLayout(row)
    channel = c.pack_tab
    for key in shown_keys(getattr(o.steps[index], channel)):
        _setting(c, o, index, (channel, key), PackedChannel, key, box)

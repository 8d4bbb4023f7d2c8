"""Controls of a group of layers: open settings of its build, levels, and what can be done with it."""

from typing import Any

from PySide6.QtWidgets import QHBoxLayout, QInputDialog, QPushButton

from mivex.core.base.errors import MivexError
from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message, joined, term
from mivex.core.layers.builds import Build, all_builds, knob_value, save_build, settings_of
from mivex.core.layers.model import Group
from mivex.core.project import layer_edits
from mivex.core.project.document import Overlay
from mivex.ui.fields.fields import ColourField, Field, SwitchField
from mivex.ui.fields.labels import label
from mivex.ui.fields.number import NumberField
from mivex.ui.stations.base import Page
from mivex.ui.stations.layer_parts import build_levels


def _spoken(name: str) -> Message:
    """The name of an open setting, “Smears: cover”, in words that are looked up one by one."""
    layer, _, setting = name.partition(": ")
    return joined(": ", [layer, InSentence(setting.capitalize())]) if setting else term(name)


def build_group(c: Page, o: Overlay, group: Group) -> None:
    """Open settings of a build, and what can be done with a group."""
    c.column.addSpacing(4)
    build: Build | None = all_builds()[0].get(group.build) if group.build else None
    if build is not None:
        c.column.addWidget(label(Message("From the build “{build}”", build=build.build), "section"))
        for knob in build.open:
            _knob(c, o, group, _spoken(knob.name), knob.at)

    def levels() -> Any:
        now = (c.session.doc.overlay(o.id) or o).layers.row(group.id)
        return now.levels if isinstance(now, Group) else group.levels

    build_levels(
        c,
        levels,
        lambda d, rows: layer_edits.change_row(d, o.id, group.id, lambda g: g.model_copy(update={"levels": rows})),
        group.id,
    )
    row = QHBoxLayout()
    if build is not None:
        update = QPushButton(tr("Bring up to date"))
        update.setToolTip(tr("Make it anew from its build; the settings above stay as they are."))
        update.clicked.connect(
            lambda: c.session.apply("Bring up to date", lambda d: layer_edits.update_build(d, o.id, group.id, build))
        )
        row.addWidget(update)
    save = QPushButton(tr("Save as a build …"))
    save.clicked.connect(lambda: ask_save_build(c, o, group.id))
    row.addWidget(save)
    loose = QPushButton(tr("Ungroup"))
    loose.clicked.connect(lambda: c.session.apply("Ungroup", lambda d: layer_edits.ungroup(d, o.id, group.id)))
    row.addWidget(loose)
    c.column.addLayout(row)


def _knob(c: Page, o: Overlay, group: Group, name: str, at: str) -> None:
    def read() -> Any:
        now = (c.session.doc.overlay(o.id) or o).layers.row(group.id)
        return knob_value(now, at) if isinstance(now, Group) else knob_value(group, at)

    value = read()
    if value is None:
        return
    field: Field
    if isinstance(value, tuple):
        field = ColourField(name, "Left open by the build.", read, value)
    elif isinstance(value, bool):
        field = SwitchField(name, "Left open by the build.", read, value)
    elif isinstance(value, int):
        field = NumberField(
            name, "Left open by the build.", read, value, low=0, high=max(100, value * 3), hard=(0, 99999), whole=True
        )
    elif isinstance(value, float):
        low = -1.0 if at.endswith(("balance", "number")) else 0.0
        field = NumberField(name, "Left open by the build.", read, value, low=low, high=1.0, hard=(-64, 64))
    else:
        return
    field.edited.connect(
        c.edit_with(
            Message("Change {name}", name=InSentence(name)),
            f"{group.id} {at}",
            lambda d, v: layer_edits.set_knob(d, o.id, group.id, at, v),
        )
    )
    c.add_field(field)


def ask_save_build(c: Page, o: Overlay, group_id: str) -> None:
    """Ask for a name and save a group as a build, with every strength and seed left open."""
    group = (c.session.overlay or o).layers.row(group_id)
    if not isinstance(group, Group):
        return
    name, ok = QInputDialog.getText(c, tr("Save as a build"), tr("Name of the build:"), text=group.name)
    if ok and name.strip():
        keep_build(c, o, group_id, name.strip())


def keep_build(c: Page, o: Overlay, group_id: str, name: str) -> None:
    """Save a group under a name; strengths, seeds and amounts stay open."""
    group = (c.session.overlay or o).layers.row(group_id)
    assert isinstance(group, Group)
    wanted = ("strength", "seed", "cover", "count", "balance")
    knobs = tuple(k for k in settings_of(group) if k.at.rsplit(".", 1)[-1] in wanted)[:12]
    try:
        path = save_build(
            Build(
                build=name,
                kind=o.kind,
                about=Message("Made from “{name}”.", name=o.name),
                open=knobs,
                group=group.model_copy(update={"build": ""}),
            )
        )
    except MivexError as e:
        c.engine.notice.emit(str(e))
        return
    c.session.apply("Name the build", lambda d: layer_edits.set_row(d, o.id, group_id, build=name))
    c.engine.notice.emit(
        Message("The build was kept in “{path}”; {count} of its settings are open.", path=path, count=len(knobs))
    )

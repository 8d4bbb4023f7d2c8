"""Controls of the station Layers: the table, and the settings of the chosen cell, mask or row."""

from collections.abc import Iterator
from functools import partial
from typing import Any

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QHBoxLayout, QMenu, QPushButton, QScrollArea

from mivex.core.base.errors import MivexError
from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message, joined, term
from mivex.core.layers.builds import Build, all_builds
from mivex.core.layers.channels import CHANNELS, TABLE
from mivex.core.layers.model import ChannelSource, Group, Layer, Mask, MaskPart
from mivex.core.layers.patterns import PATTERNS
from mivex.core.project import layer_edits
from mivex.core.project.document import Document, Overlay
from mivex.ui import theme
from mivex.ui.fields.labels import enable, label
from mivex.ui.fields.stack_table import HEAD, MOST, ROW, StackTable
from mivex.ui.stations.base import Page, Station
from mivex.ui.stations.layer_groups import build_group
from mivex.ui.stations.layer_parts import build_cell
from mivex.ui.stations.layer_row import _base, _row
from mivex.ui.stations.mask_parts import build_mask
from mivex.ui.stations.painting import build_painting


def build_layers(c: Page, o: Overlay) -> Iterator[None]:
    """The table, its buttons, and what is chosen in it."""
    table = StackTable()
    table.turned, table.row_id = c.turned, c.session.row_id
    table.put(o.layers)
    _toolbar(c, o)
    area = QScrollArea()
    area.setWidgetResizable(True)
    area.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
    area.setWidget(table)
    c.column.addWidget(area)
    _connect(c, o, table)

    def fit() -> None:
        area.setFixedHeight(HEAD + ROW * min(len(table.lines), MOST) + 4)

    c.live.append(fit)
    area.verticalScrollBar().setRange(0, 100000)  # its range is known only when it is shown
    area.verticalScrollBar().setValue(c.scrolled)
    area.verticalScrollBar().valueChanged.connect(c.set_scrolled)
    c.column.addSpacing(4)
    yield
    row = o.layers.row(c.session.row_id)
    if row is None:
        _base(c, o)
    else:
        _row(c, o, row)
        yield
        if c.painting and isinstance(row, Layer):
            build_painting(c, o, row)
            yield
        if c.session.column == "mask":
            build_mask(c, o, row)
        elif c.session.column in CHANNELS and isinstance(row, Layer):
            build_cell(c, o, row, c.session.column)
        yield
        if isinstance(row, Group):
            build_group(c, o, row)
        elif not c.painting:
            build_painting(c, o, row)
    said = label("", "finding", wrap=True)
    c.column.addWidget(said)

    def live() -> None:
        t = c.engine.get(o.id).texture
        words = [n for n in (t.notes if t else ()) if n.startswith("Layer ")]
        said.setText(tr(joined("\n", words[:3])))
        said.setVisible(bool(words))

    c.live.append(live)


def _connect(c: Page, o: Overlay, table: StackTable) -> None:
    s = c.session

    def say(edit: Any, words: str) -> None:
        try:
            s.apply(words, edit)
        except MivexError as e:
            c.engine.notice.emit(str(e))

    def touch(row_id: str, column: str) -> None:
        row = (s.overlay or o).layers.row(row_id)
        s.choose_row(row_id, column)
        # A click into the empty mask column means: give it one. Noise is what most masks begin as.
        if column == "mask" and row is not None and not row.mask.parts:
            say(
                partial(
                    layer_edits.set_parts,
                    overlay_id=o.id,
                    row_id=row_id,
                    change=lambda parts: (*parts, MaskPart(source="pattern", pattern=PATTERNS["noise"].params())),
                ),
                "Give a mask",
            )
        elif column in CHANNELS and isinstance(row, Layer) and column not in row.channels:
            say(
                partial(layer_edits.set_cell, overlay_id=o.id, row_id=row_id, channel=column),
                Message("Touch {channels}", channels=InSentence(CHANNELS[column])),
            )

    table.chosen.connect(s.choose_row)
    table.touched.connect(touch)
    table.switched.connect(
        lambda k, on: say(partial(layer_edits.set_row, overlay_id=o.id, row_id=k, on=on), "Switch layer")
    )
    table.moved.connect(lambda k, by: say(partial(layer_edits.move_row, overlay_id=o.id, row_id=k, by=by), "Move layer"))
    table.put_in.connect(
        lambda k, g: say(partial(layer_edits.put_into, overlay_id=o.id, row_id=k, group_id=g), "Into the group")
    )
    table.removed.connect(lambda k: say(partial(layer_edits.remove_row, overlay_id=o.id, row_id=k), "Remove layer"))
    table.looked.connect(c.look_at)
    table.held.connect(c.hold_look)
    table.folded.connect(c.fold_changed)

    def live() -> None:
        now = s.overlay or o
        table.turned = c.turned
        # By identity: a stack never changes, so another object is another stack.
        if table.stack is not now.layers or table.row_id != s.row_id:
            table.row_id = s.row_id
            table.put(now.layers)
        table.row_id, table.column, table.holding = s.row_id, s.column, c.held_look
        table.pictures = c.cell_images
        t = c.engine.get(o.id).texture
        notes = " ".join(t.notes) if t else ""
        table.missing = {
            (r.id, k)
            for r in now.layers.walk()
            if isinstance(r, Layer)
            for k in r.cells
            if Message("Layer “{name}”, {channels}:", name=r.name, channels=InSentence(CHANNELS[k])) in notes
        }
        table.update()
        c.want_cells(now)

    c.live.append(live)


def _toolbar(c: Page, o: Overlay) -> None:
    bar = QHBoxLayout()
    bar.setSpacing(1)
    add = QPushButton(tr("Add a layer"))
    add.setIcon(theme.icon("plus"))
    menu = QMenu(add)
    menu.aboutToShow.connect(lambda: _fill_add(c, o, menu))
    add.setMenu(menu)
    bar.addWidget(add)
    bar.addStretch()
    s = c.session

    def run(words: str, edit: Any) -> None:
        if s.row_id:
            s.apply(words, edit)

    def copy() -> None:
        # The name of the copy is known only within the edit, which may run again when it is redone.
        made = ""

        def edit(d: Document) -> Document:
            nonlocal made
            d, made = layer_edits.copy_row(d, o.id, s.row_id)
            return d

        run("Copy layer", edit)
        if made:
            s.choose_row(made, s.column)

    def group() -> None:
        made = ""

        def edit(d: Document) -> Document:
            nonlocal made
            d, made = layer_edits.group_rows(d, o.id, (s.row_id,))
            return d

        run("Group", edit)
        if made:
            s.choose_row(made)

    for name, tip, do in (
        ("up", "Up   (Ctrl+Up)", lambda: run("Move layer", lambda d: layer_edits.move_row(d, o.id, s.row_id, 1))),
        ("down", "Down   (Ctrl+Down)", lambda: run("Move layer", lambda d: layer_edits.move_row(d, o.id, s.row_id, -1))),
        ("levels", "Put it into a group of its own; drag others onto that", group),
        ("copy", "Copy it", copy),
        (
            "remove",
            "Remove it   (Delete)",
            lambda: run("Remove layer", lambda d: layer_edits.remove_row(d, o.id, s.row_id)),
        ),
    ):
        button = theme.tool(name, tip, theme.SOFT)
        button.clicked.connect(lambda _=False, f=do: f())  # type: ignore[misc]
        bar.addWidget(button)
        # Bound as defaults: each button has its own function, not the last of the loop.
        c.live.append(lambda b=button: enable(b, (s.overlay or o).layers.row(s.row_id) is not None, "Choose a layer first"))  # type: ignore[misc]
    c.column.addLayout(bar)


def add_row(c: Page, o: Overlay, row: Layer | Group, column: str = "row") -> None:
    """Put a row above the chosen one, and choose it."""
    c.session.apply("Add a layer", lambda d: layer_edits.add_row(d, o.id, row, c.session.row_id))
    c.session.choose_row(row.id, column)


def _fill_add(c: Page, o: Overlay, menu: QMenu) -> None:
    # Filled anew each time it is opened: overlays and builds come and go.
    menu.clear()
    count = sum(1 for _ in (c.session.overlay or o).layers.walk()) + 1
    one = Layer(
        name=tr(Message("Layer {count}", count=count)),
        cells={
            "colour": ChannelSource.model_validate(TABLE["colour"].cell),
            "opacity": ChannelSource.model_validate(TABLE["opacity"].cell),
        },
    )
    menu.addAction(tr("Of plain values"), lambda: add_row(c, o, one, "colour"))
    sub = menu.addMenu(tr("Through a pattern"))
    for p in sorted(PATTERNS.values(), key=lambda p: p.label):
        row = one.model_copy(
            update={
                "id": layer_edits.new_id(),
                "name": p.label,
                "cells": {k: ChannelSource.model_validate(dict(v)) for k, v in p.cells.items()},
                "mask": Mask(parts=(MaskPart(source="pattern", pattern=p.params()),)),
            }
        )
        action = sub.addAction(tr(p.label), lambda r=row: add_row(c, o, r, "mask"))
        touched = joined(", ", (InSentence(CHANNELS[k]) for k in p.cells))
        words = Message("{what} Touches {parts}.", what=term(p.hint), parts=touched)
        action.hovered.connect(lambda w=words: c.hint.say(w))
    paint = Layer(name=tr(Message("Paint {count}", count=count)))
    menu.addAction(tr("To paint on"), lambda: (add_row(c, o, paint), c.set_painting(True)))
    menu.addAction(tr("A group"), lambda: add_row(c, o, Group(name=tr(Message("Group {count}", count=count)))))
    over = menu.addMenu(tr("Another overlay, laid over"))
    for other in c.session.doc.overlays:
        if other.id != o.id and other.source.ready:
            over.addAction(other.name, lambda k=other: _lay_over(c, o, k))
    over.setEnabled(bool(over.actions()))
    builds = menu.addMenu(tr("A build"))
    found, wrong = all_builds()
    for b in found.values():
        action = builds.addAction(tr(b.build), lambda b=b: _add_build(c, o, b))
        action.hovered.connect(lambda b=b: c.hint.show_build(b.build, b.about))
    if wrong:
        c.engine.notice.emit(wrong[0])


def _lay_over(c: Page, o: Overlay, other: Overlay) -> None:
    row = Layer(name=other.name, laid_over=other.id)
    try:
        add_row(c, o, row)
    except MivexError as e:
        c.engine.notice.emit(str(e))


def _add_build(c: Page, o: Overlay, build: Build) -> None:
    made = ""

    def edit(d: Document) -> Document:
        nonlocal made
        d, made = layer_edits.add_build(d, o.id, build, c.session.row_id)
        return d

    c.session.apply(Message("Add {build}", build=InSentence(build.build)), edit)
    c.session.choose_row(made)


def shape(c: Page, o: Overlay) -> object:
    """What decides which controls there are."""

    def of(r: Layer | Group) -> object:
        parts = tuple(
            (
                p.source,
                p.pattern.kind if p.pattern else "",
                p.on,
                p.faces,
                bool(p.strokes),
                p.geometry.kind,
            )
            for p in r.mask.parts
        )
        if isinstance(r, Group):
            return r.id, parts, r.build, tuple(of(x) for x in r.rows)
        cells = tuple((k, x.source, x.pattern.kind if x.pattern else "") for k, x in r.cells.items())
        return r.id, parts, cells, bool(r.strokes), r.laid_over

    b = c.session.brush
    # What a pattern's choice shows and hides, so that other settings of it do not rebuild the page.
    patterns = tuple(
        getattr(p, k, None)
        for r in o.layers.walk()
        for p in (
            [x.pattern for x in r.mask.parts] + ([x.pattern for x in r.cells.values()] if isinstance(r, Layer) else [])
        )
        if p
        for k in ("hole", "lay", "form")
    )
    return (
        tuple(of(r) for r in o.layers.rows),
        c.session.row_id,
        c.session.column,
        o.layers.relief.occlusion,
        o.layers.guard.on,
        frozenset(c.opened),
        frozenset(c.turned),
        c.painting,
        c.painted_part,
        b.does,
        tuple(b.values),
        b.tip.form,
        b.tip.pattern.kind if b.tip.pattern else "",
        c.faces.part,
        c.faces.by,
        patterns,
        o.kind,
        tuple((k.id, k.name, k.source.ready) for k in c.session.doc.overlays),
    )


STATION = Station(
    "layers",
    "Layers",
    "Which channels each layer touches, with what, and where.",
    5,
    build_layers,
    lambda o: bool(o.layers.rows),
    shape,
    404,
    True,
)
"""Registered."""

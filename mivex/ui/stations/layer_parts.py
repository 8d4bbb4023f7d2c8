"""Settings of one cell of a layer, and of the parts of a mask."""

from collections.abc import Callable
from typing import Any

from PySide6.QtWidgets import QPushButton, QVBoxLayout

from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message, term, verbatim
from mivex.core.layers.channels import CHANNELS, COLOURED
from mivex.core.layers.model import ChannelSource, Layer, Range
from mivex.core.project import edits, layer_edits
from mivex.core.project.document import Overlay
from mivex.core.project.layering import mesh_place
from mivex.ui.fields.fields import ChoiceField
from mivex.ui.fields.forms import shown_keys
from mivex.ui.fields.labels import label
from mivex.ui.stations.base import Page
from mivex.ui.stations.part_fields import Write, laid_fields, more_line, part_fields, pattern_field


def build_cell(c: Page, o: Overlay, row: Layer, channel: str) -> None:
    """What a layer makes of a channel."""
    c.column.addSpacing(4)
    c.column.addWidget(label(Message("{channels} of this layer", channels=term(CHANNELS[channel])), "section"))
    if row.laid_over:
        return
    cell = row.cells.get(channel)  # type: ignore[call-overload]
    if cell is None:
        c.column.addWidget(label("Left alone: what lies below shines through.", "figure", wrap=True))
        touch = QPushButton(tr(Message("Touch {channels}", channels=InSentence(CHANNELS[channel]))))
        touch.clicked.connect(
            lambda: c.session.apply(
                Message("Touch {channels}", channels=InSentence(CHANNELS[channel])),
                lambda d: layer_edits.set_cell(d, o.id, row.id, channel),
            )
        )
        c.column.addWidget(touch)
        return

    def now() -> ChannelSource:
        r = (c.session.doc.overlay(o.id) or o).layers.row(row.id)
        found = r.cells.get(channel) if isinstance(r, Layer) else None  # type: ignore[call-overload]
        return found or cell

    def write(d: Any, key: str, v: Any) -> Any:
        return layer_edits.set_cell(d, o.id, row.id, channel, **{key: v})

    box = c.column
    merge = f"{row.id} {channel}"
    part_fields(c, cell, ["join", "source"], now, write, merge, box)
    coloured = channel in COLOURED
    keys = [
        k
        for k in shown_keys(cell, ("join", "source", "pattern", "laid", "levels", "strength", "overlay"))
        if k not in (("number", "number_low", "channel") if coloured else ("colour", "colour_low"))
    ]
    if cell.source == "pattern":
        pattern_field(c, lambda: now().pattern, lambda d, p: write(d, "pattern", p), merge, box)
    if cell.source == "overlay":
        others = {k.id: verbatim(k.name) for k in c.session.doc.overlays if k.id != o.id}
        which = ChoiceField(
            "Overlay",
            "Whose result is read.",
            lambda: now().overlay if now().overlay in others else "",
            "",
            {"": "None yet", **others},
        )
        which.edited.connect(lambda v: c.try_edit("Choose overlay", lambda d: write(d, "overlay", v)))
        c.add_field(which, box)
    part_fields(c, cell, keys, now, write, merge, box)
    if channel == "height" and cell.source in ("flat", "pattern"):
        c.column.addWidget(label("Below zero it lies deeper than the surface.", "figure"))
    part_fields(c, cell, ["strength"], now, write, merge, box)
    if cell.source in ("pattern", "picture", "overlay"):
        space = cell.source == "pattern" and mesh_place(o) is not None
        laid_fields(c, cell.laid, lambda: now().laid, lambda d, v: write(d, "laid", v), merge, box, space=space)
    if cell.source != "flat":
        _levels(c, cell.levels, lambda: now().levels, lambda d, v: write(d, "levels", v), merge, box)
    drop = QPushButton(tr(Message("Leave {channels} alone", channels=InSentence(CHANNELS[channel]))))
    drop.clicked.connect(lambda: c.session.apply("Leave alone", lambda d: layer_edits.drop_cell(d, o.id, row.id, channel)))
    c.column.addWidget(drop)


def _levels(c: Page, was: Range, read: Callable[[], Any], put: Write, merge: str, box: QVBoxLayout) -> None:
    if more_line(c, f"{merge} levels", InSentence("Levels"), not was.plain, box):
        part_fields(
            c,
            was,
            list(Range.model_fields),
            read,
            lambda d, key, v: put(d, edits.revalidated(read(), **{key: v})),
            merge,
            box,
        )


def build_levels(c: Page, now: Callable[[], dict[str, Range]], put: Write, merge: str) -> None:
    """Levels by channel, of a group or of the whole stack; ``put(doc, levels)`` gives the document with them."""
    changed = any(not r.plain for r in now().values())
    if not more_line(c, f"{merge} levels", "levels by channel", changed, c.column):
        return
    which = ChoiceField("Channel", "Whose levels are set.", lambda: c.level_channel, "opacity", CHANNELS)
    which.edited.connect(c.choose_level)
    c.add_field(which)

    def write(d: Any, key: str, v: Any) -> Any:
        channel, rows = c.level_channel, dict(now())
        fresh = edits.revalidated(rows.get(channel, Range()), **{key: v})
        rows.pop(channel, None)
        return put(d, rows if fresh.plain else {**rows, channel: fresh})

    part_fields(c, Range(), list(Range.model_fields), lambda: now().get(c.level_channel, Range()), write, merge, c.column)

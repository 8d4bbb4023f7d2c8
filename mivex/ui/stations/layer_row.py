"""The settings of one row of the stack, and of its base."""

from typing import Any

from mivex.core.base.messages import InSentence, Message, joined, term
from mivex.core.layers.channels import CHANNELS
from mivex.core.layers.model import Base, EdgeFade, Group, Layer, Relief, base_for
from mivex.core.project import layer_edits
from mivex.core.project.document import Overlay
from mivex.ui.fields.fields import TextField
from mivex.ui.fields.forms import field_for
from mivex.ui.fields.labels import label
from mivex.ui.fields.number import NumberField
from mivex.ui.stations.base import Page
from mivex.ui.stations.layer_parts import build_levels


def _model(c: Page, o: Overlay, part: str, model: type, keys: tuple[str, ...], usual: Any) -> None:
    """Fields of the stack's base, relief or guard."""
    for key in keys:

        def read(key: str = key) -> Any:
            return getattr(getattr((c.session.doc.overlay(o.id) or o).layers, part), key)

        field = field_for(model, key, read, c.choose_file)
        field.default = getattr(usual, key)
        if isinstance(field, NumberField):
            field.bar.default = float(field.default)
        field.edited.connect(
            c.edit_with(
                Message("Change {name}", name=InSentence(field.name)),
                f"{o.id} {part} {key}",
                lambda d, v, key=key: layer_edits.set_part_of(d, o.id, part, **{key: v}),
            )
        )
        c.add_field(field)


def _base(c: Page, o: Overlay) -> None:
    """What counts for the whole stack."""
    canvas = not o.source.path
    c.column.addWidget(label("Base", "section"))
    c.column.addWidget(
        label("The canvas that the layers lie on." if canvas else "The source picture lies lowest.", "figure")
    )
    usual = base_for(o.kind) if canvas else Base()
    _model(c, o, "base", Base, ("on", *(("colour", "opacity") if canvas else ()), "roughness", "metal"), usual)
    c.column.addSpacing(6)
    c.column.addWidget(label("Heights", "section"))
    relief = o.layers.relief
    _model(c, o, "relief", Relief, ("strength", "green", "occlusion", *(("reach",) if relief.occlusion else ())), Relief())
    c.column.addSpacing(6)
    build_levels(
        c,
        lambda: (c.session.doc.overlay(o.id) or o).layers.levels,  # type: ignore[arg-type, return-value]
        lambda d, rows: layer_edits.set_stack(d, o.id, lambda st: st.model_copy(update={"levels": rows})),
        f"{o.id} stack",
    )
    c.column.addSpacing(6)
    c.column.addWidget(label("Border", "section"))
    _model(
        c, o, "guard", EdgeFade, ("on", *(("width", "ragged", "features", "seed") if o.layers.guard.on else ())), EdgeFade()
    )


def _row(c: Page, o: Overlay, row: Layer | Group) -> None:
    def now() -> Any:
        return (c.session.doc.overlay(o.id) or o).layers.row(row.id) or row

    name = TextField("Name", "The layer's name.", lambda: now().name, row.name)
    name.edited.connect(
        lambda v: c.session.apply("Rename layer", lambda d: layer_edits.set_row(d, o.id, row.id, name=v.strip()))
    )
    c.add_field(name)
    field = field_for(type(row), "strength", lambda: now().strength)
    field.edited.connect(
        c.edit_with("Change strength", f"{row.id} strength", lambda d, v: layer_edits.set_row(d, o.id, row.id, strength=v))
    )
    c.add_field(field)
    if isinstance(row, Layer) and row.laid_over:
        other = c.session.doc.overlay(row.laid_over)
        c.column.addWidget(
            label(
                Message(
                    "“{name}” is laid over with all its channels: what is seen of each counts by its opacity.",
                    name=term(other.name if other else "An overlay that is gone"),
                ),
                "figure",
                wrap=True,
            )
        )
    elif isinstance(row, Layer) and c.session.column == "row":
        left = [InSentence(CHANNELS[k]) for k in CHANNELS if k not in row.channels]
        touched = [InSentence(CHANNELS[k]) for k in row.channels]
        words = (
            Message("Touches {parts}.", parts=joined(", ", touched))
            if touched
            else "Touches nothing yet: double-click a cell, or paint."
        )
        c.column.addWidget(
            label(
                words + (Message(" Left alone: {parts}.", parts=joined(", ", left)) if touched and left else ""),
                "figure",
                wrap=True,
            )
        )

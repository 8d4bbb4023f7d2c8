"""Edits of an overlay's layers: functions from document to document, as in `edits`."""

from collections.abc import Callable, Sequence
from typing import Any

from mivex.core.base.errors import MivexError
from mivex.core.base.settings import new_id
from mivex.core.layers.builds import Build, brought_up_to_date, fresh_ids, instance, with_knob
from mivex.core.layers.channels import COLOURED, TABLE
from mivex.core.layers.model import ChannelSource, Group, Layer, MaskPart, Stack, walk
from mivex.core.layers.patterns import PATTERNS
from mivex.core.layers.strokes import PaintStroke
from mivex.core.project.document import Document
from mivex.core.project.edits import map_overlay, revalidated
from mivex.core.project.layering import use_each_other

Row = Layer | Group
Rows = tuple[Row, ...]


def set_stack(doc: Document, overlay_id: str, change: Callable[[Stack], Stack]) -> Document:
    """Change an overlay's stack; raises MivexError where overlays would use each other."""
    made = map_overlay(doc, overlay_id, lambda o: o.model_copy(update={"layers": change(o.layers)}))
    if wrong := use_each_other(made, overlay_id):
        raise MivexError(wrong)
    return made


def set_part_of(doc: Document, overlay_id: str, part: str, **values: Any) -> Document:
    """Change the stack's base, relief or guard."""
    return set_stack(doc, overlay_id, lambda s: s.model_copy(update={part: revalidated(getattr(s, part), **values)}))


def replaced(rows: Rows, row_id: str, change: Callable[[Row], Rows]) -> Rows:
    """Rows with one of them, wherever it lies, replaced by what ``change`` gives."""
    out: list[Row] = []
    for r in rows:
        if r.id == row_id:
            out += change(r)
        elif isinstance(r, Group):
            inner = replaced(r.rows, row_id, change)
            out.append(r if inner == r.rows else r.model_copy(update={"rows": inner}))
        else:
            out.append(r)
    return tuple(out)


def change_row(doc: Document, overlay_id: str, row_id: str, change: Callable[[Any], Any]) -> Document:
    """Change one row."""
    return set_stack(
        doc, overlay_id, lambda s: s.model_copy(update={"rows": replaced(s.rows, row_id, lambda r: (change(r),))})
    )


def set_row(doc: Document, overlay_id: str, row_id: str, **values: Any) -> Document:
    """Change a row's name, switch or strength, or which overlay is laid over."""
    return change_row(doc, overlay_id, row_id, lambda r: revalidated(r, **values))


def add_row(doc: Document, overlay_id: str, row: Row, above: str = "") -> Document:
    """Put a row above another one, or on top."""

    def change(s: Stack) -> Stack:
        if above and s.row(above) is not None:
            return s.model_copy(update={"rows": replaced(s.rows, above, lambda r: (r, row))})
        return s.model_copy(update={"rows": (*s.rows, row)})

    return set_stack(doc, overlay_id, change)


def remove_row(doc: Document, overlay_id: str, row_id: str) -> Document:
    """Take a row out."""
    return set_stack(doc, overlay_id, lambda s: s.model_copy(update={"rows": replaced(s.rows, row_id, lambda _: ())}))


def copy_row(doc: Document, overlay_id: str, row_id: str) -> tuple[Document, str]:
    """Put a copy of a row above it; returns its id."""
    o = doc.overlay(overlay_id)
    row = o.layers.row(row_id) if o else None
    if row is None:
        return doc, ""
    twin = fresh_ids(row)
    return add_row(doc, overlay_id, twin, row_id), twin.id


def move_row(doc: Document, overlay_id: str, row_id: str, by: int) -> Document:
    """Move a row up (above zero) or down among those beside it; at an end of a group it leaves the group."""

    def moved(rows: Rows) -> Rows:
        at = next((i for i, r in enumerate(rows) if r.id == row_id), -1)
        if at >= 0:
            out = list(rows)
            out.insert(min(max(at + by, 0), len(rows) - 1), out.pop(at))
            return tuple(out)
        out = []
        for r in rows:
            at = next((i for i, x in enumerate(r.rows) if x.id == row_id), -1) if isinstance(r, Group) else -1
            if isinstance(r, Group) and at >= 0 and not 0 <= at + by < len(r.rows):
                rest = r.model_copy(update={"rows": r.rows[:at] + r.rows[at + 1 :]})
                out += [rest, r.rows[at]] if by > 0 else [r.rows[at], rest]
            elif isinstance(r, Group):
                out.append(r.model_copy(update={"rows": moved(r.rows)}))
            else:
                out.append(r)
        return tuple(out)

    return set_stack(doc, overlay_id, lambda s: s.model_copy(update={"rows": moved(s.rows)}))


def put_into(doc: Document, overlay_id: str, row_id: str, group_id: str) -> Document:
    """Put a row on top of a group's rows; a group cannot go into itself."""
    o = doc.overlay(overlay_id)
    row = o.layers.row(row_id) if o else None
    if row is None or (isinstance(row, Group) and (row_id == group_id or any(r.id == group_id for r in walk(row.rows)))):
        return doc
    out = remove_row(doc, overlay_id, row_id)
    return change_row(out, overlay_id, group_id, lambda g: g.model_copy(update={"rows": (*g.rows, row)}))


def group_rows(doc: Document, overlay_id: str, row_ids: tuple[str, ...], name: str = "Group") -> tuple[Document, str]:
    """Put rows that lie beside one another into a group, at the place of the lowest; returns its id."""
    o = doc.overlay(overlay_id)
    if o is None:
        return doc, ""
    inside = tuple(r for r in o.layers.rows if r.id in row_ids)
    if not inside and len(row_ids) == 1 and (row := o.layers.row(row_ids[0])) is not None:
        # Inside another group: a group of its own, where it lies.
        own = Group(id=new_id(), name=name, rows=(row,))
        return set_stack(
            doc, overlay_id, lambda s: s.model_copy(update={"rows": replaced(s.rows, row.id, lambda _: (own,))})
        ), own.id
    if not inside:
        return doc, ""
    group = Group(id=new_id(), name=name, rows=inside)
    rows: list[Row] = []
    for r in o.layers.rows:
        if r.id == inside[0].id:
            rows.append(group)
        elif r not in inside:
            rows.append(r)
    return set_stack(doc, overlay_id, lambda s: s.model_copy(update={"rows": tuple(rows)})), group.id


def ungroup(doc: Document, overlay_id: str, row_id: str) -> Document:
    """Put a group's rows in its place; its mask and strength go."""
    return set_stack(
        doc,
        overlay_id,
        lambda s: s.model_copy(
            update={"rows": replaced(s.rows, row_id, lambda r: r.rows if isinstance(r, Group) else (r,))}
        ),
    )


def set_cell(doc: Document, overlay_id: str, row_id: str, channel: str, **values: Any) -> Document:
    """Change what a layer makes of a channel; one that it did not touch starts with the usual."""

    def change(r: Layer) -> Layer:
        cell = r.cells.get(channel) or ChannelSource.model_validate(TABLE[channel].cell)  # type: ignore[call-overload]
        if values.get("source") == "pattern" and cell.pattern is None and "pattern" not in values:
            values["pattern"] = PATTERNS["noise"].params()
        fresh = revalidated(cell, **values)
        return r.model_copy(update={"cells": {**r.cells, channel: fresh}})

    return change_row(doc, overlay_id, row_id, change)


def drop_cell(doc: Document, overlay_id: str, row_id: str, channel: str) -> Document:
    """A layer no longer touches a channel."""
    return change_row(
        doc,
        overlay_id,
        row_id,
        lambda r: r.model_copy(update={"cells": {k: v for k, v in r.cells.items() if k != channel}}),
    )


def set_parts(
    doc: Document,
    overlay_id: str,
    row_id: str,
    change: Callable[[tuple[MaskPart, ...]], tuple[MaskPart, ...]],
) -> Document:
    """Change the parts of a row's mask."""
    return change_row(
        doc,
        overlay_id,
        row_id,
        lambda r: r.model_copy(update={"mask": r.mask.model_copy(update={"parts": change(r.mask.parts)})}),
    )


def set_part(doc: Document, overlay_id: str, row_id: str, index: int, **values: Any) -> Document:
    """Change one part of a row's mask; where it is gone by now, nothing is changed."""

    def change(parts: tuple[MaskPart, ...]) -> tuple[MaskPart, ...]:
        if not 0 <= index < len(parts):
            return parts
        part = parts[index]
        if values.get("source") == "pattern" and part.pattern is None and "pattern" not in values:
            values["pattern"] = PATTERNS["noise"].params()
        return (*parts[:index], revalidated(part, **values), *parts[index + 1 :])

    return set_parts(doc, overlay_id, row_id, change)


def add_stroke(doc: Document, overlay_id: str, row_id: str, stroke: PaintStroke, part: int = -1) -> Document:
    """Put a stroke on top of a layer's paint, or of a painted part of its mask; channels that it paints are touched."""

    def layer(r: Layer) -> Layer:
        cells = dict(r.cells)
        if stroke.does == "paint":
            for channel in stroke.values:
                if channel not in cells:
                    cells[channel] = ChannelSource(  # type: ignore[index]
                        source="painted",  # type: ignore[index]
                        join="add" if stroke.join == "add" and channel in COLOURED else "towards",
                    )
                elif cells[channel].source != "painted":  # type: ignore[index]
                    cells[channel] = cells[channel].model_copy(update={"source": "painted"})  # type: ignore[index]
        return r.model_copy(update={"cells": cells, "strokes": (*r.strokes, stroke)})

    if part >= 0:
        return set_parts(
            doc,
            overlay_id,
            row_id,
            lambda parts: (
                *parts[:part],
                parts[part].model_copy(update={"strokes": (*parts[part].strokes, stroke)}),
                *parts[part + 1 :],
            ),
        )
    return change_row(doc, overlay_id, row_id, layer)


def put_strokes(doc: Document, overlay_id: str, row_id: str, strokes: Sequence[PaintStroke], part: int = -1) -> Document:
    """Put one stroke of the hand, in its parts, on top of what the row holds now.

    Parts of the same seeds that were put there while the stroke was still being drawn are replaced; everything else in
    the document stays as it is. Where the row, or that part of its mask, is gone, nothing is changed.
    """
    o = doc.overlay(overlay_id)
    row = o.layers.row(row_id) if o is not None else None
    if row is None or part >= len(row.mask.parts) or (part < 0 and not isinstance(row, Layer)):
        return doc
    seeds = {s.seed for s in strokes}
    doc = set_strokes(doc, overlay_id, row_id, lambda held: tuple(s for s in held if s.seed not in seeds), part)
    for stroke in strokes:
        doc = add_stroke(doc, overlay_id, row_id, stroke, part)
    return doc


def set_strokes(
    doc: Document,
    overlay_id: str,
    row_id: str,
    change: Callable[[tuple[PaintStroke, ...]], tuple[PaintStroke, ...]],
    part: int = -1,
) -> Document:
    """Change the strokes of a layer, or of a painted part of its mask."""
    if part >= 0:
        return set_parts(
            doc,
            overlay_id,
            row_id,
            lambda parts: (
                *parts[:part],
                parts[part].model_copy(update={"strokes": change(parts[part].strokes)}),
                *parts[part + 1 :],
            ),
        )
    return change_row(doc, overlay_id, row_id, lambda r: r.model_copy(update={"strokes": change(r.strokes)}))


def add_build(doc: Document, overlay_id: str, build: Build, above: str = "") -> tuple[Document, str]:
    """Put a build on the stack; returns its id."""
    made = instance(build)
    return add_row(doc, overlay_id, made, above), made.id


def update_build(doc: Document, overlay_id: str, row_id: str, build: Build) -> Document:
    """Bring a group up to date from its build; its open settings stay."""
    return change_row(doc, overlay_id, row_id, lambda g: brought_up_to_date(g, build))


def set_knob(doc: Document, overlay_id: str, row_id: str, at: str, value: Any) -> Document:
    """Change an open setting of a group made from a build."""
    return change_row(doc, overlay_id, row_id, lambda g: with_knob(g, at, value))

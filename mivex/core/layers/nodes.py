"""A stack as nodes of a graph: what lies below a change is not made again."""

from collections.abc import Callable, Sequence
from dataclasses import replace
from typing import Any

from mivex.core.base.graph import Node, hashed
from mivex.core.base.messages import Message
from mivex.core.layers.masks import LayerInputs, Values
from mivex.core.layers.model import Group, Layer, Stack, UvTransform, walk
from mivex.core.layers.stack import Planes, applied
from mivex.core.prepare.base import Surface


def row_key(row: Layer | Group, outside: LayerInputs) -> str:
    """Names what a row is made of, also outside the project."""
    parts = [_text_of(row)]
    rows: list[Layer | Group] = [row]
    while rows:
        r = rows.pop()
        if isinstance(r, Group):
            rows += r.rows
        else:
            if r.laid_over:
                parts.append(outside.mark("overlay", r.laid_over))
            for c in r.cells.values():
                if c.laid.by == "space":
                    parts.append(outside.mark("surface", ""))
                if c.source == "picture" and c.path:
                    parts.append(outside.mark("picture", c.path))
                if c.source == "overlay" and c.overlay:
                    parts.append(outside.mark("overlay", c.overlay))
            parts += [outside.mark("picture", s.tip.stamp) for s in r.strokes if s.tip.form == "stamp" and s.tip.stamp]
            parts += [outside.mark("mesh", "") for s in r.strokes if s.faces][:1]
            parts += [outside.mark("surface", "") for s in r.strokes if s.surface][:1]
        for p in r.mask.parts:
            if p.laid.by == "space":
                parts.append(outside.mark("surface", ""))
            parts += [outside.mark("mesh", "") for s in p.strokes if s.faces][:1]
            parts += [outside.mark("surface", "") for s in p.strokes if s.surface][:1]
            if p.source == "overlay" and p.overlay:
                parts.append(outside.mark("overlay", p.overlay))
            if p.source == "picture" and p.path:
                parts.append(outside.mark("picture", p.path))
            if p.source in ("geometry", "region"):
                parts.append(outside.mark("mesh", ""))
    return hashed(*parts)


_texts: dict[int, tuple[object, str]] = {}


def _text_of(row: Layer | Group) -> str:
    """The row as text, without its name; the same row is not written twice."""
    kept = _texts.get(id(row))
    if kept is None or kept[0] is not row:
        # By identity, since a row never changes; the row itself is kept too, so that its number is not given to another.
        if len(_texts) > 512:
            _texts.clear()
        kept = row, row.model_dump_json(exclude={"name"})
        _texts[id(row)] = kept
    return kept[1]


def _patterns_of(rows: tuple[Layer | Group, ...]) -> list[tuple[Any, UvTransform]]:
    """Every pattern that rows read and how it lies, each once."""
    found: dict[str, tuple[Any, UvTransform]] = {}
    for r in walk(rows):
        if not r.on:
            continue
        for part in (*r.mask.parts, *(r.cells.values() if isinstance(r, Layer) else ())):
            if part.source == "pattern" and part.pattern is not None and part.laid.by == "picture":
                found[part.pattern.model_dump_json() + part.laid.model_dump_json()] = part.pattern, part.laid
    return list(found.values())


def state_nodes(
    stack: Stack,
    start: Node,
    surface: Callable[[object], Surface],
    outside: LayerInputs,
    *,
    empty: bool,
    kept: bool = True,
    slot: str = "",
    history: dict[str, tuple[tuple[str, ...], int]] | None = None,
    values: Values | None = None,
) -> list[Node]:
    """A node for the start and one for the state after every row that is on, each from the one before.

    Parameters
    ----------
    stack : Stack
    start : Node
        What the surface is found on.
    surface : callable
        Takes what ``start`` makes, gives the surface.
    outside : LayerInputs
    empty : bool
        The start is an empty canvas.
    kept : bool
        Every state is kept; otherwise only the one below the row that changed last, which takes less memory.
    slot : str
        Names the overlay and the size: newer states of a row replace older ones.
    history : dict, optional
        By slot: what rows were made of when they were last asked for, and which of them had changed then; brought up to
        date.
    values : Values, optional
        Works out masks and values in place of the usual one, as for a piece of the canvas.
    """
    values = values or Values(stack, outside)
    base = stack.base.model_dump_json()

    def begun(made: object) -> Planes:
        values.draw_ahead(_patterns_of(tuple(r for r in stack.rows if r.on)))
        return Planes(surface(made), stack.base, empty, {})

    first = Node(hashed(start.key, base, str(empty), "planes"), begun, (start,), Planes.size)
    nodes = [first]
    others = hashed(*(row_key(r, outside) for r in stack.walk() if _read_by_masks(stack, r.id)))

    def said(planes: Planes, made: Planes, before: int) -> Planes:
        fresh = tuple(outside.notes[before:])
        return replace(made, notes=(*planes.notes, *fresh)) if fresh else made

    rows = [r for r in stack.rows if r.on]
    if not kept and rows:

        def all_of(some: Sequence[Layer | Group]) -> Callable[[Planes], Planes]:
            def make(planes: Planes) -> Planes:
                before = len(outside.notes)
                out = planes
                for r in some:
                    out = applied(out, r, values)
                return said(planes, out, before)

            return make

        keys = tuple(row_key(r, outside) for r in rows)
        at = _changed(keys, slot, history)
        if at:
            key = hashed(first.key, others, *keys[:at])
            first = Node(key, all_of(rows[:at]), (first,), Planes.size, "layers", slot and f"{slot} below")
            nodes.append(first)
        key = hashed(first.key, others, *keys[at:])
        return [*nodes, Node(key, all_of(rows[at:]), (first,), Planes.size, "layers", slot and f"{slot} all")]
    for r in rows:

        def one(planes: Planes, r: Layer | Group = r) -> Planes:
            before = len(outside.notes)
            return said(planes, applied(planes, r, values), before)

        before = nodes[-1]
        # A mask may read another row, however deep it lies: then it counts what such rows are made of.
        reads = others if any(p.source == "layer" for x in walk((r,)) for p in x.mask.parts) else ""
        nodes.append(
            Node(
                hashed(before.key, row_key(r, outside), reads),
                one,
                (before,),
                Planes.size,
                Message("layer “{name}”", name=r.name),
                slot and f"{slot} {r.id}",
            )
        )
    return nodes


def _changed(keys: tuple[str, ...], slot: str, history: dict[str, tuple[tuple[str, ...], int]] | None) -> int:
    """The number of the first row that is not what it was; where none has changed, that of the time before.

    A setting is moved many times in a row: what lies below its row is worked out once and then kept.
    """
    if history is None or not slot:
        return 0
    before, at = history.get(slot, ((), 0))
    if keys != before:
        same = next((i for i, (a, b) in enumerate(zip(keys, before, strict=False)) if a != b), min(len(keys), len(before)))
        # Asked for the first time there is nothing that would be asked for again.
        at = same if before else 0
    at = min(at, len(keys) - 1)
    history[slot] = keys, at
    return at


def _read_by_masks(stack: Stack, row_id: str) -> bool:
    return any(p.source == "layer" and p.layer == row_id for r in stack.walk() for p in r.mask.parts)

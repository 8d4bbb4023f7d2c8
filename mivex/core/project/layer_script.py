"""Lists of edits to layers, as text: what a pipeline does to many overlays at once.

``{"edits": [EDIT, …]}``, or the list alone. Each edit names what it ``do``es and the ``overlay`` it does it to: an id, a
name, ``"*"`` for all, or ``{"kind": KIND}``. Rows go by id or by name.

=========  ==========================================================================================
``add``    ``row``: a layer or a group as in a project; ``above``: the row that it is put on
``build``  ``name``; ``dials``: open settings by name; ``strength``; ``above``
``set``    ``row``, ``at`` (as in ``cells.opacity.number`` or ``mask.parts.0.pattern.seed``), ``to``
``move``   ``row``, ``by``: up above zero
``remove`` ``row``
=========  ==========================================================================================
"""

import json
from collections.abc import Callable, Mapping
from pathlib import Path
from typing import Any

from pydantic import TypeAdapter, ValidationError

from mivex.core.base.errors import MivexError, what_is_invalid
from mivex.core.base.messages import Message, named
from mivex.core.base.paths import read_bytes, shown
from mivex.core.layers.builds import build_named, fresh_ids, has_knob, with_knob
from mivex.core.layers.model import AnyRow, Group, Layer
from mivex.core.project import layer_edits
from mivex.core.project.document import Document, Overlay
from mivex.core.project.layering import use_each_other

MOST = 100_000
"""Edits in one list."""
_ROW: TypeAdapter[Layer | Group] = TypeAdapter(AnyRow)
_KEYS = {
    "add": ({"row"}, {"above"}),
    "build": ({"name"}, {"dials", "strength", "above"}),
    "set": ({"row", "at", "to"}, set()),
    "move": ({"row", "by"}, set()),
    "remove": ({"row"}, set()),
}
"""What each edit must have, and may have."""


def read_edits(path: str | Path) -> list[dict[str, Any]]:
    """Read a list of edits; raises MivexError with one sentence."""
    what = shown(Path(path).name)
    try:
        data = json.loads(read_bytes(Path(path), what="list of edits").decode("utf-8-sig"))
    except (ValueError, RecursionError):
        raise MivexError(Message("“{what}” is not a JSON text, or is cut short.", what=what)) from None
    rows = data.get("edits") if isinstance(data, dict) else data
    if not isinstance(rows, list) or not all(isinstance(r, dict) for r in rows):
        raise MivexError(Message("“{what}” is no list of edits.", what=what))
    if len(rows) > MOST:
        raise MivexError(
            Message("“{what}” has {count} edits; at most {most} go into one list.", what=what, count=len(rows), most=MOST)
        )
    return rows


def apply_edits(doc: Document, edits: list[dict[str, Any]]) -> tuple[Document, int]:
    """The document after a list of edits, and how many overlays they were made to, each edit counted.

    Raises
    ------
    MivexError
        An edit cannot be made; the sentence says which. Nothing is done then.
    """
    made = 0
    for number, edit in enumerate(edits, 1):
        try:
            overlays = _checked(doc, edit)
            for o in overlays:
                doc = _DO[edit["do"]](doc, o, edit)
                made += 1
        except MivexError as e:
            raise MivexError(Message("Edit {number}: {e}", number=number, e=e)) from None
        except ValidationError as e:
            first = e.errors()[0]
            where = ".".join(str(p) for p in first["loc"] if p not in ("layer", "group"))
            text = what_is_invalid(first)
            raise MivexError(
                Message("Edit {number}: {where}: {text}.", number=number, where=where or "to", text=text)
            ) from None
    for o in doc.overlays:
        if words := use_each_other(doc, o.id):
            raise MivexError(words)
    return doc, made


def _checked(doc: Document, edit: Mapping[str, Any]) -> list[Overlay]:
    """The overlays that an edit is made to, once it has all that it needs and nothing else."""
    does = edit.get("do")
    if not isinstance(does, str) or does not in _KEYS:
        raise MivexError(Message("it does “{does}”; there are {names}.", does=str(does)[:40], names=named(", ", _KEYS)))
    must, may = _KEYS[does]
    if missing := sorted(must - set(edit)):
        raise MivexError(Message("“{does}” needs “{key}”.", does=does, key=missing[0]))
    if extra := sorted(set(edit) - must - may - {"do", "overlay"}):
        raise MivexError(Message("“{does}” has no “{key}”.", does=does, key=extra[0]))
    for key in ("above", "name", "at"):
        if key in edit and not isinstance(edit[key], str):
            raise MivexError(Message("“{key}” is a text.", key=key))
    return _overlays(doc, edit.get("overlay"))


def _overlays(doc: Document, which: object) -> list[Overlay]:
    if which == "*":
        return list(doc.overlays)
    if isinstance(which, dict) and set(which) == {"kind"}:
        return [o for o in doc.overlays if o.kind == which["kind"]]
    found = [o for o in doc.overlays if which in (o.id, o.name)]
    if not found:
        raise MivexError(Message("the project has no overlay “{which}”.", which=str(which)[:60]))
    return found


def _row(o: Overlay, which: object) -> Layer | Group:
    """The row of that id, or the first of that name."""
    rows = list(o.layers.walk())
    for row in (*(r for r in rows if r.id == which), *(r for r in rows if r.name == which)):
        return row
    raise MivexError(Message("“{name}” has no layer “{which}”.", name=o.name, which=str(which)[:60]))


def _above(o: Overlay, edit: Mapping[str, Any]) -> str:
    return _row(o, edit["above"]).id if "above" in edit else ""


def _add(doc: Document, o: Overlay, edit: Mapping[str, Any]) -> Document:
    row = _ROW.validate_python(edit["row"])
    # The same row on many overlays, or twice on one: each gets ids of its own, unless they are free.
    taken = {r.id for r in o.layers.walk()}
    return layer_edits.add_row(doc, o.id, row if row.id not in taken else fresh_ids(row), _above(o, edit))


def _build(doc: Document, o: Overlay, edit: Mapping[str, Any]) -> Document:
    build = build_named(edit["name"])
    doc, made = layer_edits.add_build(doc, o.id, build, _above(o, edit))
    dials = edit.get("dials", {})
    if not isinstance(dials, dict):
        raise MivexError("“dials” is a list of open settings by name.")
    for name, value in dials.items():
        knob = next((k for k in build.open if k.name.lower() == str(name).lower()), None)
        if knob is None:
            names = named(", ", (k.name for k in build.open))
            raise MivexError(
                Message("“{build}” has no “{name}”; it has {names}.", build=build.build, name=str(name)[:60], names=names)
            )
        doc = layer_edits.set_knob(doc, o.id, made, knob.at, value)
    if "strength" in edit:
        doc = _put(doc, o, made, "strength", edit["strength"])
    return doc


def _put(doc: Document, o: Overlay, row_id: str, at: str, value: Any) -> Document:
    if at.split(".", maxsplit=1)[0] in ("id", "rows"):
        raise MivexError(Message("“{at}” cannot be set.", at=at[:80]))

    def change(row: Layer | Group) -> Layer | Group:
        whole = Group(rows=(row,))
        if not has_knob(whole, f"rows.0.{at}"):
            raise MivexError(Message("the layer has nothing at “{at}”.", at=at[:80]))
        return with_knob(whole, f"rows.0.{at}", value).rows[0]

    return layer_edits.change_row(doc, o.id, row_id, change)


def _set(doc: Document, o: Overlay, edit: Mapping[str, Any]) -> Document:
    return _put(doc, o, _row(o, edit["row"]).id, edit["at"], edit["to"])


def _move(doc: Document, o: Overlay, edit: Mapping[str, Any]) -> Document:
    if not isinstance(edit["by"], int) or isinstance(edit["by"], bool):
        raise MivexError("“by” is a whole number.")
    return layer_edits.move_row(doc, o.id, _row(o, edit["row"]).id, edit["by"])


def _remove(doc: Document, o: Overlay, edit: Mapping[str, Any]) -> Document:
    return layer_edits.remove_row(doc, o.id, _row(o, edit["row"]).id)


_DO: dict[str, Callable[[Document, Overlay, Mapping[str, Any]], Document]] = {
    "add": _add,
    "build": _build,
    "set": _set,
    "move": _move,
    "remove": _remove,
}

"""Editors that cells of a layer and parts of its mask have in common."""

from collections.abc import Callable
from typing import Any

from PySide6.QtWidgets import QPushButton, QVBoxLayout

from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message, term
from mivex.core.layers.model import UvTransform
from mivex.core.layers.patterns import PATTERNS
from mivex.core.project import edits
from mivex.ui.fields.fields import ChoiceField
from mivex.ui.fields.forms import field_for, shown_keys
from mivex.ui.stations.base import Page

Write = Callable[[Any, Any], Any]


def part_fields(
    c: Page,
    model: Any,
    keys: list[str],
    read: Callable[[], Any],
    write: Callable[[Any, str, Any], Any],
    merge: str,
    box: QVBoxLayout | None,
) -> None:
    """Editors of settings of one part; ``write(doc, key, value)`` gives the document with it."""
    for key in keys:
        field = field_for(type(model), key, lambda key=key: getattr(read(), key), c.choose_file)
        field.edited.connect(
            c.edit_with(
                Message("Change {name}", name=InSentence(field.name)),
                f"{merge} {key}",
                lambda d, v, key=key: write(d, key, v),
            )
        )
        c.add_field(field, box)


def more_line(c: Page, key: str, words: str, changed: bool, box: QVBoxLayout) -> bool:
    """A line that opens further settings; whether it is open."""
    on = key in c.opened
    button = QPushButton(
        ("• " if changed and not on else "") + tr(Message("Less: {words}" if on else "More: {words}", words=term(words)))
    )
    button.setObjectName("source")
    button.clicked.connect(lambda: c.open_part(key))
    box.addWidget(button)
    return on


def pattern_field(c: Page, get: Callable[[], Any], put: Callable[[Any, Any], Any], merge: str, box: QVBoxLayout) -> None:
    """Which pattern, and its settings."""
    now = get()
    kind = ChoiceField(
        "Pattern",
        "What it looks like.",
        lambda: get().kind if get() else "noise",
        "noise",
        {k: p.label for k, p in sorted(PATTERNS.items(), key=lambda kv: kv[1].label)},
    )
    kind.default = now.kind if now else "noise"
    kind.edited.connect(c.edit_with("Change pattern", "", lambda d, v: put(d, PATTERNS[v].params())))
    c.add_field(kind, box)
    if now is None:
        return
    part_fields(
        c, now, shown_keys(now, ("kind",)), get, lambda d, key, v: put(d, edits.revalidated(get(), **{key: v})), merge, box
    )


def laid_fields(
    c: Page, was: UvTransform, read: Callable[[], Any], put: Write, merge: str, box: QVBoxLayout, *, space: bool = False
) -> None:
    """How a pattern or a picture lies on the canvas; folded until it is asked for. ``space``: it may be laid by place."""
    if more_line(c, f"{merge} laid", "how it lies", was != UvTransform(), box):
        part_fields(
            c,
            was,
            [k for k in UvTransform.model_fields if space or k != "by"],
            read,
            lambda d, key, v: put(d, edits.revalidated(read(), **{key: v})),
            merge,
            box,
        )


PARTS = {
    "pattern": "A pattern",
    "painted": "Painted",
    "picture": "A picture …",
    "geometry": "Found on the mesh",
    "region": "Chosen faces",
    "layer": "Another layer",
    "below": "The result below",
    "overlay": "Another overlay",
    "flat": "One value",
}

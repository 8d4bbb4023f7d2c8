"""Edits of effects: begun, copied, given parts, removed."""

from mivex.core.base.messages import Message
from mivex.core.base.settings import new_id
from mivex.core.motion.model import Effect, Emitter
from mivex.core.motion.starters import STARTERS, started
from mivex.core.project.document import Document
from mivex.core.project.edits import set_effect


def free_name(doc: Document, wish: str) -> str:
    """``wish``, or ``wish 2`` and so on where an effect has that name."""
    taken = {e.name for e in doc.effects}
    name, number = wish, 2
    while name in taken:
        name, number = f"{wish} {number}", number + 1
    return name


def begun(doc: Document, key: str, overlay_id: str, at: tuple[float, float, float]) -> tuple[Document, str]:
    """The document with an effect begun by its purpose, and its id; its sheet's and material's usual needs are met."""
    made = started(key, free_name(doc, STARTERS[key].title), overlay_id, at)
    return doc.model_copy(update={"effects": (*doc.effects, made)}), made.id


def copied(doc: Document, effect_id: str) -> tuple[Document, str]:
    """The document with a copy of an effect, which differs in its place, its seed and what is left open; and its id."""
    found = doc.effect(effect_id)
    if found is None:
        return doc, ""
    of = found.copy_of or found.id
    x, y, z = found.at
    made = Effect(
        name=free_name(doc, Message("{name} copy", name=found.name)),
        at=(round(x + 0.6, 4), y, z),
        yaw=found.yaw,
        pitch=found.pitch,
        roll=found.roll,
        scale=found.scale,
        seed=found.seed + 1,
        copy_of=of,
        dials=found.dials,
    )
    return doc.model_copy(update={"effects": (*doc.effects, made)}), made.id


def removed(doc: Document, effect_id: str) -> Document:
    """The document without an effect; its copies keep what they took from it."""
    gone = doc.effect(effect_id)
    rows = []
    for e in doc.effects:
        if e.id == effect_id:
            continue
        if gone is not None and e.copy_of == effect_id:
            own = {k: getattr(e.dials, k) for k in gone.opened}
            e = e.model_copy(  # noqa: PLW2901
                update={
                    "copy_of": "",
                    "parts": gone.parts,
                    "lamp": gone.lamp,
                    "travel": gone.travel,
                    "dials": gone.dials.model_copy(update=own),
                    "opened": gone.opened,
                }
            )
        rows.append(e)
    return doc.model_copy(update={"effects": tuple(rows)})


def with_part(doc: Document, effect_id: str, overlay_id: str, like: Emitter | None) -> Document:
    """The document with one more part of an effect, like another, which shows an overlay."""
    found = doc.effect(effect_id)
    if found is None:
        return doc
    names = {p.name for p in found.parts}
    name, number = "Part", 2
    while name in names:
        name, number = Message("Part {number}", number=number), number + 1
    part = (like or Emitter()).model_copy(update={"id": new_id(), "name": name, "overlay": overlay_id})
    return set_effect(doc, effect_id, parts=(*found.parts, part))


def without_part(doc: Document, effect_id: str, index: int) -> Document:
    """The document with a part of an effect less; the last one stays."""
    found = doc.effect(effect_id)
    if found is None or len(found.parts) < 2:
        return doc
    return set_effect(doc, effect_id, parts=tuple(p for k, p in enumerate(found.parts) if k != index))

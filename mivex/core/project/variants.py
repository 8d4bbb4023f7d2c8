"""Variants: overlays whose material takes all from another's but a few settings of their own.

A variant holds its whole material, so that everything else reads it as any other; `synced` keeps it up to date with the one
that it follows. What is changed on a variant itself becomes its own.
"""

from typing import Any

from mivex.core.material.material import Material
from mivex.core.project.document import Document, Overlay
from mivex.core.project.edits import copy_overlay, map_overlay


def followed_by(doc: Document, overlay: Overlay) -> Overlay | None:
    """The overlay that a variant follows; None where it follows none, or that one has gone."""
    return doc.overlay(overlay.variant_of) if overlay.variant_of else None


def _taken(base: Material, own: Material, keys: tuple[str, ...]) -> Material:
    made: Material = base.model_copy(update={k: getattr(own, k) for k in keys})
    return made


def synced(before: Document, after: Document) -> Document:
    """A document in which variants follow, and what was changed on them since ``before`` is their own.

    Chains of variants follow from the first to the last.
    """
    if not any(o.variant_of for o in after.overlays):
        return after
    old = {o.id: o for o in before.overlays}
    made = {o.id: o for o in after.overlays}

    def follow(o: Overlay, way: tuple[str, ...]) -> Overlay:
        base = made.get(o.variant_of)
        if base is None or base.id in way:
            return o
        base = follow(base, (*way, o.id))
        made[base.id] = base
        was = old.get(o.id)
        own = o.own
        if was is not None and was.variant_of == o.variant_of and was.own == o.own:
            own += tuple(
                k for k in Material.model_fields if k not in own and getattr(was.material, k) != getattr(o.material, k)
            )
        material = _taken(base.material, o.material, own)
        own = tuple(k for k in own if getattr(base.material, k) != getattr(material, k) or k in o.own)
        if material == o.material and own == o.own:
            return o
        return o.model_copy(update={"material": material, "own": own})

    for o in after.overlays:
        if o.variant_of:
            made[o.id] = follow(made[o.id], ())
    rows = tuple(made[o.id] for o in after.overlays)
    return (
        after
        if all(a is b for a, b in zip(rows, after.overlays, strict=True))
        else after.model_copy(update={"overlays": rows})
    )


def add_variant(doc: Document, overlay_id: str) -> tuple[Document, str]:
    """A copy of an overlay behind it that follows its material; returns the copy's id."""
    doc, key = copy_overlay(doc, overlay_id)
    return map_overlay(doc, key, lambda o: o.model_copy(update={"variant_of": overlay_id, "own": ()})), key


def followed(doc: Document, overlay_id: str, *, keep: tuple[str, ...] = ()) -> Document:
    """A variant takes everything from the one that it follows again, but what ``keep`` names."""

    def change(o: Overlay) -> Overlay:
        base = doc.overlay(o.variant_of)
        return (
            o
            if base is None
            else o.model_copy(
                update={"own": tuple(k for k in o.own if k in keep), "material": _taken(base.material, o.material, keep)}
            )
        )

    return map_overlay(doc, overlay_id, change)


def on_its_own(doc: Document, overlay_id: str) -> Document:
    """A variant becomes an overlay like any other; its material stays as it is."""
    return map_overlay(doc, overlay_id, lambda o: o.model_copy(update={"variant_of": "", "own": ()}))


def differing(overlay: Overlay) -> list[str]:
    """Titles of what a variant has of its own."""
    fields: dict[str, Any] = dict(Material.model_fields)
    return [str(fields[k].title or k).replace("_", " ").capitalize() for k in overlay.own if k in fields]

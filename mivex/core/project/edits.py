"""Edits: functions from document to document. Nothing is changed in place."""

import math
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from mivex.core.base.settings import new_id
from mivex.core.layers.model import Stack, base_for
from mivex.core.material.material import Kind, default_material, with_blend
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import StepParams
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.stage.camera import Camera
from mivex.core.stage.cuts import WHOLE, centroid, clipped, split
from mivex.core.stage.placement_geometry import held_at
from mivex.core.stage.placements_model import BillboardPlace, Cut, HullPlace, PanelPlace, Pivot, Place


@dataclass(frozen=True)
class AddSteps:
    """Puts steps at the end of an overlay's recipe."""

    overlay: str
    steps: tuple[StepParams, ...]

    def __call__(self, doc: Document) -> Document:
        """The document after the edit."""
        o = doc.overlay(self.overlay)
        return set_steps(doc, self.overlay, (*(o.steps if o else ()), *self.steps))


@dataclass(frozen=True)
class SetFields:
    """Sets fields of an overlay's ``part``: source, material, delivery, or its own (empty)."""

    overlay: str
    part: str
    values: tuple[tuple[str, Any], ...]

    def __call__(self, doc: Document) -> Document:
        """The document after the edit."""
        return set_fields(doc, self.overlay, self.part, **dict(self.values))


@dataclass(frozen=True)
class SetPart:
    """Sets fields of an effect (``part`` −1), or of one of its parts: of emission, birth, life, facing, or itself."""

    effect: str
    part: int
    group: str
    values: tuple[tuple[str, Any], ...]

    def __call__(self, doc: Document) -> Document:
        """The document after the edit."""
        if self.part < 0:
            return set_effect(doc, self.effect, **dict(self.values))
        return set_part(doc, self.effect, self.part, self.group, **dict(self.values))


FrozenEdit = AddSteps | SetFields | SetPart
"""An edit as a value: it can be compared, kept and listed, and is called with a document."""


def map_overlay(doc: Document, overlay_id: str, change: Callable[[Overlay], Overlay]) -> Document:
    """Replace one overlay by what ``change`` makes of it."""
    return doc.model_copy(update={"overlays": tuple(change(o) if o.id == overlay_id else o for o in doc.overlays)})


def set_fields(doc: Document, overlay_id: str, part: str, **values: Any) -> Document:
    """Set fields of an overlay's ``part`` (source, material, delivery), or of itself (part ``""``).

    Values are validated; a value out of range raises pydantic's ValidationError.
    """

    def change(o: Overlay) -> Overlay:
        target: Any = getattr(o, part) if part else o
        if part == "material" and "blend" in values:
            target = with_blend(target, values["blend"])
        elif part == "material" and values.keys() & set(target.by_hand):
            # Set anew: from now on it counts by whether it is what is usual.
            target = target.model_copy(update={"by_hand": tuple(k for k in target.by_hand if k not in values)})
        fresh = revalidated(target, **values)
        return o.model_copy(update={part: fresh}) if part else fresh

    return map_overlay(doc, overlay_id, change)


def revalidated(model: Any, **values: Any) -> Any:
    """Copy a model with some fields changed and everything checked again."""
    kept = {k: getattr(model, k) for k in type(model).model_fields} | (model.model_extra or {})
    return type(model).model_validate(kept | values)


def set_effect(doc: Document, effect_id: str, **values: Any) -> Document:
    """Set fields of an effect; a value out of range raises pydantic's ValidationError."""
    return doc.model_copy(
        update={"effects": tuple(revalidated(e, **values) if e.id == effect_id else e for e in doc.effects)}
    )


def set_part(doc: Document, effect_id: str, index: int, group: str, **values: Any) -> Document:
    """Set fields of a part of an effect, or of one of its groups (emission, birth, life, facing)."""
    found = doc.effect(effect_id)
    if found is None or not 0 <= index < len(found.parts):
        return doc
    part = found.parts[index]
    fresh = revalidated(part, **({group: revalidated(getattr(part, group), **values)} if group else values))
    return set_effect(doc, effect_id, parts=(*found.parts[:index], fresh, *found.parts[index + 1 :]))


def free_name(doc: Document, wish: str) -> str:
    """``wish``, or ``wish 2`` and so on where that name is taken."""
    taken = {o.name for o in doc.overlays}
    name, number = wish, 2
    while name in taken:
        name, number = f"{wish} {number}", number + 1
    return name


def first_place(kind: Kind, aspect: float, index: int) -> Place:
    """Where a new overlay of a kind first appears on the stage; ``aspect`` is width over height."""
    shift = 0.35 * (index % 5) - 0.7
    if kind in ("decal", "logo"):
        return HullPlace(along=shift, around=8.0, width=0.9 * math.sqrt(aspect), height=0.9 / math.sqrt(aspect))
    if kind in ("glass", "cloth"):
        return PanelPlace(at=(shift, 1.1, 0.9), width=1.0 * math.sqrt(aspect), height=1.0 / math.sqrt(aspect))
    return BillboardPlace(at=(shift, 1.2, 1.0), width=0.6 * math.sqrt(aspect), height=0.6 / math.sqrt(aspect))


def add_overlay(doc: Document, name: str, kind: Kind, path: str, aspect: float = 1.0) -> tuple[Document, str]:
    """Add an overlay with the usual settings of its kind and one place on the stage; returns its id."""
    overlay = Overlay(
        name=free_name(doc, name),
        kind=kind,
        source=Source(path=path),
        material=default_material(kind),
        places=(first_place(kind, aspect, len(doc.overlays)),),
    )
    return doc.model_copy(update={"overlays": (*doc.overlays, overlay)}), overlay.id


def stand(doc: Document, overlay_id: str, put: Callable[[Place], Place]) -> Document:
    """Put an overlay's first placement elsewhere."""
    return map_overlay(
        doc, overlay_id, lambda o: o.model_copy(update={"places": (put(o.places[0]), *o.places[1:])}) if o.places else o
    )


def add_blank(doc: Document, name: str, kind: Kind, size: tuple[int, int]) -> tuple[Document, str]:
    """Add an overlay that starts from an empty canvas; returns its id."""
    doc, made = add_overlay(doc, name, kind, "", size[0] / size[1])
    doc = map_overlay(doc, made, lambda o: o.model_copy(update={"layers": Stack(base=base_for(kind))}))
    return set_fields(doc, made, "source", canvas=size, meaning="colour"), made


def split_channels(doc: Document, overlay_id: str, channels: list[str]) -> Document:
    """Add a copy of an overlay for each channel that keeps it as grey; none of them stands on the stage."""
    at = next(i for i, o in enumerate(doc.overlays) if o.id == overlay_id)
    old = doc.overlays[at]
    made: list[Overlay] = []
    for channel in channels:
        step = STEPS["take-channel"].params.model_validate({"step": "take-channel", "take": channel})
        full = doc.model_copy(update={"overlays": (*doc.overlays, *made)})
        made.append(
            old.model_copy(
                update={
                    "id": new_id(),
                    "name": free_name(full, f"{old.name}, {channel}"),
                    "steps": (step,),
                    "places": (),
                    "material": old.material.model_copy(update={"blend": "Solid", "group": "Solid", "depth_write": True}),
                }
            )
        )
    return doc.model_copy(update={"overlays": (*doc.overlays[: at + 1], *made, *doc.overlays[at + 1 :])})


def remove_overlay(doc: Document, overlay_id: str) -> Document:
    """Take an overlay out of the rack."""
    return doc.model_copy(update={"overlays": tuple(o for o in doc.overlays if o.id != overlay_id)})


def copy_overlay(doc: Document, overlay_id: str) -> tuple[Document, str]:
    """Put a copy of an overlay behind it; returns the copy's id."""
    at = next(i for i, o in enumerate(doc.overlays) if o.id == overlay_id)
    old = doc.overlays[at]
    places = tuple(p.model_copy(update={"id": new_id()}) for p in old.places)
    twin = old.model_copy(update={"id": new_id(), "name": free_name(doc, old.name), "places": places})
    return doc.model_copy(update={"overlays": (*doc.overlays[: at + 1], twin, *doc.overlays[at + 1 :])}), twin.id


def move_overlay(doc: Document, overlay_id: str, by: int) -> Document:
    """Move an overlay up or down the rack; what is drawn does not change."""
    rows = list(doc.overlays)
    at = next(i for i, o in enumerate(rows) if o.id == overlay_id)
    to = min(max(at + by, 0), len(rows) - 1)
    rows.insert(to, rows.pop(at))
    return doc.model_copy(update={"overlays": tuple(rows)})


def set_kind(doc: Document, overlay_id: str, kind: Kind) -> Document:
    """Change the kind; the material follows where it was never touched."""

    def change(o: Overlay) -> Overlay:
        fresh = default_material(kind) if o.material == default_material(o.kind) else o.material
        change: dict[str, Any] = {"kind": kind, "material": fresh}
        if not o.source.path and o.layers.base == base_for(o.kind):
            change["layers"] = o.layers.model_copy(update={"base": base_for(kind)})
        return o.model_copy(update=change)

    return map_overlay(doc, overlay_id, change)


def add_step(doc: Document, overlay_id: str, step: StepParams, at: int | None = None) -> Document:
    """Put a step into the recipe, at the end or before position ``at``."""

    def change(o: Overlay) -> Overlay:
        i = len(o.steps) if at is None else at
        return o.model_copy(update={"steps": (*o.steps[:i], step, *o.steps[i:])})

    return map_overlay(doc, overlay_id, change)


def set_step(doc: Document, overlay_id: str, index: int, **values: Any) -> Document:
    """Change settings of the step at ``index``; they are validated.

    Where another step stands there by now, which has no such setting, nothing is changed.
    """

    def change(o: Overlay) -> Overlay:
        if not (0 <= index < len(o.steps) and values.keys() <= type(o.steps[index]).model_fields.keys()):
            return o
        fresh = revalidated(o.steps[index], **values)
        return o.model_copy(update={"steps": (*o.steps[:index], fresh, *o.steps[index + 1 :])})

    return map_overlay(doc, overlay_id, change)


def remove_step(doc: Document, overlay_id: str, index: int) -> Document:
    """Take a step out of the recipe; where it is gone by now, nothing is changed."""
    return map_overlay(
        doc, overlay_id, lambda o: o.model_copy(update={"steps": tuple(s for k, s in enumerate(o.steps) if k != index)})
    )


def move_step(doc: Document, overlay_id: str, index: int, by: int) -> Document:
    """Move a step earlier or later; where it is gone by now, nothing is changed."""

    def change(o: Overlay) -> Overlay:
        steps = list(o.steps)
        if not 0 <= index < len(steps):
            return o
        to = min(max(index + by, 0), len(steps) - 1)
        steps.insert(to, steps.pop(index))
        return o.model_copy(update={"steps": tuple(steps)})

    return map_overlay(doc, overlay_id, change)


def set_steps(doc: Document, overlay_id: str, steps: tuple[StepParams, ...]) -> Document:
    """Replace the whole recipe."""
    return map_overlay(doc, overlay_id, lambda o: o.model_copy(update={"steps": steps}))


def add_place(doc: Document, overlay_id: str, place: Place) -> Document:
    """Place an overlay once more on the stage."""
    return map_overlay(doc, overlay_id, lambda o: o.model_copy(update={"places": (*o.places, place)}))


def set_place(doc: Document, overlay_id: str, place_id: str, **values: Any) -> Document:
    """Move, turn or scale one placement."""
    return map_overlay(
        doc,
        overlay_id,
        lambda o: o.model_copy(
            update={"places": tuple(revalidated(p, **values) if p.id == place_id else p for p in o.places)}
        ),
    )


def split_place(doc: Document, overlay_id: str, place_id: str, pivot: Pivot = (0.5, 0.5)) -> Document:
    """Make two placements of a panel, cut upright through the middle of what it shows; ``pivot`` is its picture's."""

    def change(o: Overlay) -> Overlay:
        parts: list[Place] = []
        for p in o.places:
            two = None
            if p.id == place_id and isinstance(p, PanelPlace):
                held = held_at(p, pivot)
                left = clipped(WHOLE, p, held)
                at = (float(centroid(left)[0]) - held[0]) * p.width if len(left) > 2 else 0.0
                two = split(p, Cut(angle=0.0, at=at), held)
            parts += two or (p,)
        return o.model_copy(update={"places": tuple(parts)})

    return map_overlay(doc, overlay_id, change)


def remove_place(doc: Document, overlay_id: str, place_id: str) -> Document:
    """Take one placement off the stage."""
    return map_overlay(
        doc, overlay_id, lambda o: o.model_copy(update={"places": tuple(p for p in o.places if p.id != place_id)})
    )


def set_camera(doc: Document, camera: Camera) -> Document:
    """Keep a view under its name, replacing the one of that name or adding it."""
    rows = [camera if c.name == camera.name else c for c in doc.cameras]
    if all(c.name != camera.name for c in doc.cameras):
        rows.append(camera)
    return doc.model_copy(update={"cameras": tuple(rows)})


def set_around(doc: Document, **values: Any) -> Document:
    """Change what stands round the overlays."""
    return doc.model_copy(update={"around": revalidated(doc.around, **values)})


def set_lighting(doc: Document, **values: Any) -> Document:
    """Change the light of the stage."""
    return doc.model_copy(update={"lighting": revalidated(doc.lighting, **values)})


def set_overdraw(doc: Document, overdraw: float) -> Document:
    """Set how many fragments a pixel the artist allows."""
    made: Document = revalidated(doc, overdraw=overdraw)
    return made

"""What could be done against a conflict that no order settles: each remedy as edits, and what it makes of textures."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Any

import numpy as np

from mivex.core.base.messages import InSentence, Message
from mivex.core.material.material import DISTANCES, Material, with_blend
from mivex.core.picture.files import read_picture
from mivex.core.picture.texture import Texture
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Context, StepParams, Surface
from mivex.core.prepare.levels import Levels
from mivex.core.prepare.premultiply import Premultiply
from mivex.core.project.document import Document, Overlay
from mivex.core.project.edits import AddSteps, FrozenEdit, SetFields
from mivex.core.stage import placement_geometry as placing
from mivex.core.stage.camera import CAMERAS, View
from mivex.core.stage.cuts import line_of, split
from mivex.core.stage.placements_model import PanelPlace

LESS_COVER = 0.5
"""Share of its cover that an overlay keeps where it is to matter less what lies before it."""
PARTS = 16
"""Placements up to which an overlay is split."""


@dataclass(frozen=True)
class Attempt:
    """One remedy before it is tried.

    Attributes
    ----------
    name : str
    edits : tuple of FrozenEdit
    steps : tuple of StepParams
        What the edits put at the end of the recipe: the texture has to be made anew.
    """

    name: str
    edits: tuple[FrozenEdit, ...]
    steps: tuple[StepParams, ...] = ()


def stepped(texture: Texture, steps: Sequence[StepParams]) -> Texture:
    """A texture as it is when some steps have been put at the end of its recipe."""
    surface = Surface(texture.values, traits=texture.traits)
    for params in steps:
        # The steps alone: the picture before them has been made already.
        surface = STEPS[params.step].run(surface, params, Context(read_picture))
    return replace(texture, values=surface.values, traits=surface.traits, key="")


def attempts(doc: Document, key: str, others: Sequence[str], texture: Texture | None) -> list[Attempt]:
    """What can be tried with one overlay of a conflict.

    Parameters
    ----------
    doc : Document
    key : str
        The overlay that is changed.
    others : sequence of str
        The overlays that it conflicts with; none: it conflicts with itself.
    texture : Texture, optional
        Its own.
    """
    o = doc.overlay(key)
    if o is None:
        return []
    m = o.material
    rows: list[Attempt] = []

    def tried(name: str, values: dict[str, Any]) -> None:
        rows.append(Attempt(name, (SetFields(key, "material", tuple(values.items())),)))

    def blend(name: str) -> dict[str, Any]:
        made = with_blend(m, name)  # type: ignore[arg-type]
        # Only what differs: the edit is shown to the artist, field by field.
        return {k: getattr(made, k) for k in Material.model_fields if getattr(made, k) != getattr(m, k)}

    if m.depth_write:
        tried("depth write off", {"depth_write": False})
    blends = {"Translucent": ("Cutout", "Dithered", "Additive"), "Premultiplied": ("Cutout", "Dithered")}
    for name in blends.get(m.blend, ()):
        tried(name, blend(name))
    if m.blend == "Translucent" and texture is not None and not texture.premultiplied:
        # Less of what lies behind is hidden, so that it matters less what lies there.
        steps = (Premultiply(), Levels(out_white=LESS_COVER))
        set_blend = SetFields(key, "material", tuple(blend("Premultiplied").items()))
        rows.append(Attempt("premultiplied with half the cover", (AddSteps(key, steps), set_blend), steps))
    if others:
        rows += _splits(doc, o, others, texture)
    if not others and not m.depth_first:
        tried("depth first", {"depth_first": True})
    if others and m.group == "Blended":
        tried("draw group Front", {"group": "Front"})
    for kind in ("place", "object", "nearest") if others else ("triangle",):
        if kind != m.distance:
            tried(Message("distance by {words}", words=InSentence(DISTANCES[kind])), {"distance": kind})
    return rows


def _splits(doc: Document, o: Overlay, others: Sequence[str], texture: Texture | None) -> list[Attempt]:
    """Its panels in two wherever one of the others' cuts through them; then distances decide between the parts."""
    # More placements, and the parts would be past counting.
    if texture is None or len(o.places) > PARTS:
        return []
    view, parts = View(CAMERAS[0], 4, 4), list(o.places)
    for key in others:
        other = doc.overlay(key)
        for wall in other.places if other is not None else ():
            if not isinstance(wall, PanelPlace):
                continue
            at, right, up = placing.frame(wall, view)
            normal = np.cross(right, up)
            # From behind, so that the numbers of those before stay right while one becomes two.
            for k, place in reversed(list(enumerate(parts))):
                if not isinstance(place, PanelPlace) or len(parts) >= 2 * PARTS:
                    continue
                framed = placing.framed(place, texture.extent)
                held, along, above = placing.frame(framed, view)
                cut = line_of(held, along / np.linalg.norm(along), above / np.linalg.norm(above), at, normal)
                if cut is not None and (two := split(place, cut, placing.held_at(framed, texture.pivot))):
                    parts[k : k + 1] = two
    if len(parts) == len(o.places):
        return []
    edits: list[FrozenEdit] = [SetFields(o.id, "", (("places", tuple(parts)),))]
    # Nudges would override the very distances that the split is made for.
    level = {"nudge": 0, "distance": "place"}
    for key in (o.id, *others):
        found = doc.overlay(key)
        values = tuple((k, v) for k, v in level.items() if found is not None and getattr(found.material, k) != v)
        if values:
            edits.append(SetFields(key, "material", values))
    return [Attempt("split where it is cut through", tuple(edits))]

"""Controls of the station Blend: the equation, depth, order, faces."""

from collections.abc import Iterator

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QHBoxLayout, QMenu, QPushButton

from mivex.core.advice.blend_variants import cost_of
from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message, joined, term
from mivex.core.base.settings import OmitDefaultsModel
from mivex.core.material.effects import (
    Breakup,
    Contact,
    Dither,
    Erosion,
    Glass,
    Halo,
    OnSurface,
    Recolour,
    Tones,
    UvScroll,
)
from mivex.core.material.material import Glow, Mapping, Material, Normals, PackedName, default_material, packed
from mivex.core.material.sourced import Channel
from mivex.core.pixels.blends import BLENDS
from mivex.core.project import edits
from mivex.core.project.document import Document, Overlay
from mivex.core.project.variants import differing, followed, followed_by, on_its_own
from mivex.ui import theme
from mivex.ui.fields.forms import field_for
from mivex.ui.fields.labels import enable, label
from mivex.ui.fields.sources import SourcedField
from mivex.ui.stations.base import Page, Station


def build_blend(c: Page, o: Overlay) -> Iterator[None]:
    """The blend with its live equation, and how it is drawn."""
    _variant(c, o)
    c.model_field(Material, "blend", "material", o)
    blend = BLENDS[o.material.blend]
    equation = label("", "equation", wrap=True)
    equation.setTextFormat(Qt.TextFormat.RichText)
    c.column.addWidget(equation)

    def live() -> None:
        m = (c.session.doc.overlay(o.id) or o).material
        colour, alpha = blend.colour_factors, blend.alpha_factors
        text = term(blend.equation.replace("cutoff", tr(Message("{cutoff:.2f}", cutoff=m.cutoff))).replace("-", "−"))
        if m.opacity < 1:
            text += Message("<br>As = alpha · {opacity:.2f}", opacity=m.opacity)
        factors = Message(
            "factors: colour ({colour}, {colour2})   alpha ({alpha}, {alpha2})",
            colour=colour[0].replace("-", "−"),
            colour2=colour[1].replace("-", "−"),
            alpha=alpha[0].replace("-", "−"),
            alpha2=alpha[1].replace("-", "−"),
        )
        soft = f"<span style='color:{theme.SOFT}'>"
        cost = cost_of(m, c.engine.get(o.id).texture).words()
        equation.setText(
            tr(
                Message(
                    "<span style='font-weight:600'>{text}</span><br>{soft}{factors}</span><br>{soft}{why}</span>"
                    "<br>{soft}{cost}</span>",
                    text=text,
                    soft=soft,
                    factors=factors,
                    why=term(blend.why),
                    cost=Message("a fragment: {cost}", cost=cost),
                )
            )
        )

    c.live.append(live)
    c.column.addSpacing(6)
    keys = ["opacity", "tint", "lit"]
    if blend.name == "Cutout":
        keys.insert(0, "cutoff")
    if not blend.covers:
        keys.remove("lit")
    for key in keys:
        c.model_field(Material, key, "material", o)
    lit = o.material.lit and blend.covers
    c.column.addSpacing(6)
    c.column.addWidget(label("Surface", "section"))
    for key, (name, hint, number, needs_light) in INPUTS.items():
        if lit or not needs_light:
            input_field(c, o, key, name, hint, number)
        yield
    if lit:
        packed_map(c, o)
        if o.material.finish.normal.source != "number":
            finish_part(c, o, "normal", Normals, "green")
        if o.material.finish.glow.strength > 0:
            finish_part(c, o, "glow", Glow, "colour")
    for key in ("both_faces", "tiling"):
        c.model_field(Material, key, "material", o)
    c.column.addSpacing(6)
    c.column.addWidget(label("Effects", "section"))
    if blend.name == "Dithered":
        nested_field(c, o, Dither, "dither", "by")
    for part, (model, head) in EFFECTS.items():
        if part == "contact" and not blend.see_through:
            continue
        nested_field(c, o, model, part, head)
        yield
        now, usual = getattr(o.material, part), model()
        if getattr(now, head) != getattr(usual, head):
            for key in model.model_fields:
                if (part, key) == ("breakup", "mask"):
                    eaten_by(c, o)
                elif key != head and not (part == "erosion" and key in _idle_erosion(now)):
                    nested_field(c, o, model, part, key)
    c.column.addSpacing(6)
    c.column.addWidget(label("On the mesh", "section"))
    for key in Mapping.model_fields:
        nested_field(c, o, Mapping, "mapping", key)
        yield
    depth = ("depth_test", "depth_write", "depth_bias", "slope_bias", *(("depth_first",) if blend.see_through else ()))
    order = ("group", "nudge", "distance", *(("back_first",) if o.material.both_faces else ()))
    for title, group in (("Depth", depth), ("Order", order)):
        c.column.addSpacing(6)
        c.column.addWidget(label(title, "section"))
        for key in group:
            c.model_field(Material, key, "material", o)
            yield
    if o.material.group == "Decal" and lit:
        c.column.addSpacing(6)
        c.column.addWidget(label("What it changes of its surface", "section"))
        for key in OnSurface.model_fields:
            nested_field(c, o, OnSurface, "on_surface", key)
            yield


def _variant(c: Page, o: Overlay) -> None:
    """What a variant has of its own, and how it comes back to what it follows."""
    base = followed_by(c.session.doc, o)
    if base is None:
        return
    own = joined(", ", differing(o) or ["nothing yet: what you change here becomes its own"])
    c.column.addWidget(
        label(Message("Takes its material from “{name}”. Its own: {own}.", name=base.name, own=own), "equation", wrap=True)
    )
    row = QHBoxLayout()
    for words, hint, enabled, edit in (
        ("As that one again", Message("Everything as “{name}” has it.", name=base.name), bool(o.own), followed),
        ("On its own", Message("It stays as it is and follows “{name}” no longer.", name=base.name), True, on_its_own),
    ):
        button = QPushButton(tr(words))
        button.setToolTip(tr(hint))
        enable(button, enabled, "It has nothing of its own yet")
        button.clicked.connect(lambda _=False, w=words, e=edit: c.session.apply(w, lambda d: e(d, o.id)))  # type: ignore[misc]
        row.addWidget(button)
    c.column.addLayout(row)
    c.column.addSpacing(6)


EFFECTS: dict[str, tuple[type[OmitDefaultsModel], str]] = {
    "contact": (Contact, "distance"),
    "erosion": (Erosion, "form"),
    "tones": (Tones, "on"),
    "recolour": (Recolour, "on"),
    "breakup": (Breakup, "amount"),
    "halo": (Halo, "strength"),
    "flow": (UvScroll, "strength"),
    "glass": (Glass, "on"),
}
"""Effects: the model, and the setting that switches it on; the others are shown while it is."""


def _idle_erosion(now: Erosion) -> tuple[str, ...]:
    """Settings of an erosion that change nothing at present."""
    return (*(() if now.form == "soft" else ("soft",)), *(("amount",) if now.by == "tint" else ()))


INPUTS = {
    "colour": ("Colour", "The picture that colour is read from.", "", False),
    "opacity": ("Alpha", "Where alpha is read from, if not from the overlay's own.", "value", False),
    "roughness": ("Roughness", "Smooth mirrors what is around it, rough scatters it.", "value", True),
    "metal": ("Metal", "Metal mirrors in its own colour and has no matt part.", "value", True),
    "occlusion": ("Occlusion", "How much of the light from all round reaches each place.", "value", True),
    "normal": ("Normals", "Bumps from a normal map; only what is lit shows them.", "strength", True),
    "glow": ("Glow", "Light that the surface gives off by itself.", "strength", True),
}
"""Inputs of a surface: name, hint, the setting that is a number, and whether it shows only in light."""

PACKED: dict[str, tuple[PackedName, ...]] = {
    "Occlusion, roughness, metal": ("occlusion", "roughness", "metal"),
    "Metal, roughness": ("metal", "roughness"),
    "Roughness, metal, occlusion": ("roughness", "metal", "occlusion"),
    "Metal, occlusion, –, smoothness": ("metal", "occlusion", "nothing", "smoothness"),
}
"""Orders of packed pictures that are met: what red, green, blue and alpha hold."""


def _material(c: Page, o: Overlay) -> Material:
    return (c.session.doc.overlay(o.id) or o).material


def input_field(c: Page, o: Overlay, key: str, name: str, hint: str, number: str) -> None:
    """The editor of one input."""
    usual = getattr(default_material(o.kind).finish, key)
    field = SourcedField(
        name,
        hint,
        lambda: getattr(_material(c, o).finish, key),
        usual,
        number=number,
        overlays=lambda: {k.id: k.name for k in c.session.doc.overlays if k.id != o.id},
        choose_file=c.choose_file,
    )
    field.edited.connect(
        c.edit_with(
            Message("Change {name}", name=InSentence(name)),
            f"{o.id} finish {key}",
            lambda d, v: edits.set_fields(
                d, o.id, "material", finish=edits.revalidated((d.overlay(o.id) or o).material.finish, **{key: v})
            ),
        )
    )
    c.add_field(field)


def finish_part(c: Page, o: Overlay, part: str, model: type, key: str) -> None:
    """One more setting of an input."""
    field = field_for(model, key, lambda: getattr(getattr(_material(c, o).finish, part), key), c.choose_file)

    def write(d: Document, value: object) -> Document:
        finish = (d.overlay(o.id) or o).material.finish
        fresh = edits.revalidated(getattr(finish, part), **{key: value})
        return edits.set_fields(d, o.id, "material", finish=edits.revalidated(finish, **{part: fresh}))

    field.edited.connect(c.edit_with(Message("Change {name}", name=InSentence(field.name)), f"{o.id} {part} {key}", write))
    c.add_field(field)


def nested_field(c: Page, o: Overlay, model: type, part: str, key: str) -> None:
    """One setting of a part of the material."""
    field = field_for(model, key, lambda: getattr(getattr(_material(c, o), part), key), c.choose_file)

    def write(d: Document, value: object) -> Document:
        now = getattr((d.overlay(o.id) or o).material, part)
        return edits.set_fields(d, o.id, "material", **{part: edits.revalidated(now, **{key: value})})

    field.edited.connect(c.edit_with(Message("Change {name}", name=InSentence(field.name)), f"{o.id} {part} {key}", write))
    c.add_field(field)


def eaten_by(c: Page, o: Overlay) -> None:
    """What breaks an overlay up: a noise, or a channel of any picture."""
    info = Breakup.model_fields["mask"]
    field = SourcedField(
        str(info.title),
        str(info.description),
        lambda: _material(c, o).breakup.mask,
        Channel(source="number"),
        number="",
        overlays=lambda: {k.id: k.name for k in c.session.doc.overlays if k.id != o.id},
        choose_file=c.choose_file,
        bare="A noise",
    )
    field.edited.connect(
        c.edit_with(
            "Change eaten by",
            f"{o.id} breakup mask",
            lambda d, v: edits.set_fields(
                d, o.id, "material", breakup=edits.revalidated((d.overlay(o.id) or o).material.breakup, mask=v)
            ),
        )
    )
    c.add_field(field)


def packed_map(c: Page, o: Overlay) -> None:
    """Reads several inputs from one packed picture, in a named order."""
    button = QPushButton(tr("Packed picture …"))
    button.setToolTip(
        tr("Reads roughness, metal and occlusion from the channels of one picture, in an order that you choose.")
    )
    menu = QMenu(button)

    def take(order: tuple[PackedName, ...]) -> None:
        path = c.choose_file("file")
        if path:
            c.session.apply(
                "Take a packed picture",
                lambda d: edits.set_fields(
                    d,
                    o.id,
                    "material",
                    finish=packed((d.overlay(o.id) or o).material.finish, order, source="file", path=path),
                ),
            )

    for words, order in PACKED.items():
        menu.addAction(tr(words)).triggered.connect(lambda _=False, k=order: take(k))
    button.setMenu(menu)
    c.column.addWidget(button)


def _shape(c: Page, o: Overlay) -> object:
    """What decides which fields there are."""
    m = o.material
    base = followed_by(c.session.doc, o)
    return (
        base.name if base is not None else "",
        o.own,
        o.kind,
        m.blend,
        m.lit,
        m.finish.normal.source,
        (m.finish.glow.strength > 0),
        m.group == "Decal",
        m.both_faces,
        m.erosion.by,
        m.erosion.form == "soft",
        tuple(getattr(getattr(m, part), head) != getattr(model(), head) for part, (model, head) in EFFECTS.items()),
    )


STATION = Station(
    "blend",
    "Blend",
    "How it meets what lies behind it.",
    40,
    build_blend,
    lambda o: o.material != default_material(o.kind),
    _shape,
)
"""Registered."""

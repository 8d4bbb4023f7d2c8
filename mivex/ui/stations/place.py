"""Controls of the station Place: the placements and their numbers."""

from functools import partial

from PySide6.QtWidgets import QHBoxLayout, QMenu, QPushButton

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term
from mivex.core.project import edits
from mivex.core.project.document import Overlay
from mivex.core.stage.face_selection import faces_of
from mivex.core.stage.placements_model import (
    FORMS,
    BillboardPlace,
    HullPlace,
    MeshPlace,
    PanelPlace,
    Place,
    ProjectedPlace,
    SecondSet,
    ShapePlace,
    SurfacePlace,
)
from mivex.ui import theme
from mivex.ui.fields.fields import ChoiceField, SwitchField
from mivex.ui.fields.forms import field_for
from mivex.ui.fields.labels import label
from mivex.ui.stations.base import Page, Station
from mivex.ui.stations.place_numbers import METRES, TURNS, PlaceNumber, add_edited, add_number, cut_fields, placement_now

_MOUNTS = {
    "panel": "Panel",
    "shape": "A simple shape",
    "hull": "On the hull",
    "surface": "On any surface",
    "projected": "Thrown by a box",
    "billboard": "Faces the camera",
    "mesh": "On a mesh …",
}


HELD = (
    ("Pivot across", "Point of it that stands at the place: 0 its left, 1 its right."),
    ("Pivot down", "Point of it that stands at the place: 0 its top, 1 its foot, so that a flame stands on its nozzle."),
)


def build_place(c: Page, o: Overlay) -> None:
    """Placements, and the numbers of the chosen one."""
    head = QHBoxLayout()
    head.addWidget(label("Placements", "section"))
    head.addStretch()
    add = QPushButton(tr("Place it"))
    add.setIcon(theme.icon("plus"))
    menu = QMenu(add)
    for mount, words in _MOUNTS.items():
        menu.addAction(tr(words), lambda m=mount: new_place(c, o.id, m))
    add.setMenu(menu)
    head.addWidget(add)
    c.column.addLayout(head)
    if not o.places:
        c.column.addWidget(label("Nowhere yet: it is not on the stage.", "figure", wrap=True))
    for number, p in enumerate(o.places, 1):
        row = QHBoxLayout()
        chosen = p.id == c.session.place_id
        button = QPushButton(tr(Message("{number}  {mounts}", number=number, mounts=term(_MOUNTS[p.mount]))))
        button.setStyleSheet(
            "text-align: left;" + (f"border: 1px solid {theme.CHOSEN}; padding: 4px 11px;" if chosen else "")
        )
        button.clicked.connect(lambda _=False, k=p.id: c.session.choose(o.id, k))  # type: ignore[misc]
        row.addWidget(button, 1)
        gone = theme.tool("remove", "Take it off the stage", theme.SOFT)
        gone.setAccessibleName(tr(Message("Remove placement {number}", number=number)))
        gone.clicked.connect(
            lambda _=False, k=p.id: c.session.apply(  # type: ignore[misc]
                "Remove placement", lambda d: edits.remove_place(d, o.id, k)
            )
        )
        row.addWidget(gone)
        c.column.addLayout(row)
    chosen_place = next((p for p in o.places if p.id == c.session.place_id), None)
    if chosen_place:
        c.column.addSpacing(8)
        place_fields(c, o, chosen_place)


def new_place(c: Page, overlay_id: str, mount: str) -> None:
    """Put the overlay on the stage once more."""
    o = c.session.doc.overlay(overlay_id)
    t = c.engine.get(overlay_id).texture
    if o is None:
        return
    full = (1, 1) if t is None else t.full_size if t.scale < 1 else (t.width, t.height)
    aspect = (full[0] / full[1]) ** 0.5
    size = {"width": round(0.8 * aspect, 3), "height": round(0.8 / aspect, 3)}
    shift = 0.3 * (len(o.places) % 5)
    place: Place = (
        HullPlace(along=-0.6 + shift, **size)
        if mount == "hull"
        else PanelPlace(at=(-0.6 + shift, 1.1, 0.8), **size)
        if mount == "panel"
        else SurfacePlace(at=(-0.6 + shift, 0.0, 1.2), **size)
        if mount == "surface"
        else ProjectedPlace(at=(-0.6 + shift, 0.0, 1.2), **size)
        if mount == "projected"
        else ShapePlace(at=(-0.6 + shift, size["height"] / 2, 0.9), **size)
        if mount == "shape"
        else BillboardPlace(at=(-0.6 + shift, 1.2, 0.9), **size)
    )
    if mount == "mesh":
        path = c.choose_file("mesh")
        if not path:
            return
        place = MeshPlace(path=path, at=(-0.6 + shift, 0.6, 0.9))
    c.session.apply("Place", lambda d: edits.add_place(d, overlay_id, place))
    c.session.choose(overlay_id, place.id)


_WHERE = (
    PlaceNumber("Across", "Metres to the right, seen from the dock.", "at", (-4, 4), (-20, 20), axis=0),
    PlaceNumber("Elevation", "Metres above the floor.", "at", (0, 4), (-20, 20), usual=1.2, axis=1),
    PlaceNumber("Towards", "Metres towards the viewer.", "at", (-4, 4), (-20, 20), usual=0.8, axis=2),
)
_ON_HULL = (
    PlaceNumber(
        "Along", "Metres along the hull; 0 is its middle, higher is nearer the bow.", "along", (-3.6, 1.3), (-10, 10)
    ),
    PlaceNumber(
        "Around",
        "Degrees round the hull: 0 faces the dock, higher is further up.",
        "around",
        (-90, 90),
        (-180, 180),
        "°",
        10,
    ),
)
_AIM = (
    PlaceNumber("Yaw", "Turns it about the upright axis.", "yaw", (-180, 180), TURNS, "°"),
    PlaceNumber("Pitch", "Tips it back and forth.", "pitch", (-90, 90), TURNS, "°"),
)
_ROLL = PlaceNumber("Roll", "Turns it in its own plane.", "roll", (-180, 180), TURNS, "°")
_MESH = PlaceNumber("Size", "Metres along its longest side.", "width", (0.05, 10), METRES, usual=1.0)
_PANELS = PlaceNumber("Panels", "How many there are.", "count", (1, 12), (1, 64), "", 2)
_DEPTH = PlaceNumber("Depth", "Metres from front to back.", "depth", (0.05, 4), METRES, usual=0.5)
_BEND = PlaceNumber("Bend", "Degrees that it is bent through.", "bend", (5, 360), (1, 360), "°", 90)
_PROJECTED = (
    PlaceNumber("Depth", "Of the box: nothing beyond takes the picture.", "depth", (0.05, 4), METRES, usual=0.6),
    PlaceNumber(
        "Fade-out angle",
        "Angle to the box from which nothing is left; it fades from half of it.",
        "angle",
        (10, 90),
        (1, 90),
        "°",
        80,
    ),
)
_SIZE = (
    PlaceNumber("Width", "Metres across.", "width", (0.05, 4), METRES, usual=1.0),
    PlaceNumber("Height", "Metres from top to bottom.", "height", (0.05, 4), METRES, usual=1.0),
)
_PIVOT = tuple(PlaceNumber(name, hint, "pivot", (0, 1), (-4, 5), "", 0.5, axis) for axis, (name, hint) in enumerate(HELD))


def place_fields(c: Page, o: Overlay, place: Place) -> None:
    """The numbers of one placement."""
    number = partial(add_number, c, o, place)
    for spec in _ON_HULL if isinstance(place, HullPlace) else _WHERE:
        number(spec)
    if isinstance(place, PanelPlace | SurfacePlace | MeshPlace | ShapePlace | ProjectedPlace):
        for spec in _AIM:
            number(spec)
    number(_ROLL)
    if isinstance(place, MeshPlace):
        c.column.addWidget(label(Message("Mesh: {rsplit}", rsplit=place.path.rsplit("/", 1)[-1]), "figure", wrap=True))
        number(_MESH)
        c.column.addWidget(
            label("The frame on the flat proof moves, turns and scales the picture on the UVs.", "figure", wrap=True)
        )
        second_set(c, o, place)
        return
    if isinstance(place, ShapePlace):
        _shape_fields(c, o, place)
    if isinstance(place, ProjectedPlace):
        for spec in _PROJECTED:
            number(spec)
    if isinstance(place, BillboardPlace):
        upright = SwitchField(
            "Upright",
            "Turns to the camera about the upright axis only: flames stay upright.",
            lambda: placement_now(c, o, place).upright,
            default=False,
        )
        add_edited(c, o, place, upright, "upright")
    for spec in (*_SIZE, *(_PIVOT if hasattr(place, "pivot") else ())):
        number(spec)
    if isinstance(place, PanelPlace):
        cut_fields(c, o, place)


def _shape_fields(c: Page, o: Overlay, place: ShapePlace) -> None:
    """Which shape carries the picture, and what that one has of its own."""
    number = partial(add_number, c, o, place)
    form = ChoiceField("Shape", "What carries the picture.", lambda: placement_now(c, o, place).form, "crossed", FORMS)
    add_edited(c, o, place, form, "form")
    if place.form in ("crossed", "stack"):
        number(_PANELS)
    if place.form == "stack":
        slices = ChoiceField(
            "Slices",
            "What the panels show.",
            lambda: placement_now(c, o, place).slices,
            "same",
            {"same": "Each the picture", "noise": "Cut a solid noise", "frames": "Frames of its sheet"},
        )
        add_edited(c, o, place, slices, "slices")
        if place.slices == "frames" and not o.sheet.grids:
            c.column.addWidget(label("It is no sheet yet: say at Sheet where its frames lie.", "figure", wrap=True))
        if place.slices == "noise" and o.material.breakup.amount == 0:
            c.column.addWidget(
                label("“Broken up” at Blend says how much of the noise is eaten away: nothing yet.", "figure", wrap=True)
            )
    if place.form in ("stack", "box", "dome"):
        number(_DEPTH)
    if place.form == "curved":
        number(_BEND)


def second_set(c: Page, o: Overlay, place: MeshPlace) -> None:
    """How the second UV set of a mesh comes about, and which faces lie in it."""

    def now() -> SecondSet:
        overlay = c.session.doc.overlay(o.id) or o
        found = next((p for p in overlay.places if p.id == place.id), place)
        return found.second if isinstance(found, MeshPlace) else place.second

    c.column.addSpacing(6)
    how = field_for(SecondSet, "how", lambda: now().how, c.choose_file)
    how.edited.connect(
        c.edit_with(
            "Change second UV set",
            f"{place.id} second",
            lambda d, v: edits.set_place(d, o.id, place.id, second=now().model_copy(update={"how": v})),
        )
    )
    c.add_field(how)
    if place.second.how == "file":
        return
    row = QHBoxLayout()
    for words, what in (("Faces", "face"), ("Islands", "island"), ("Parts", "part")):
        button = QPushButton(tr(words))
        button.setCheckable(True)
        button.setChecked(c.faces.second_by == what)
        button.setToolTip(tr("Click on the stage or on the flat proof to choose them, or to give them back"))
        button.clicked.connect(lambda on=False, k=what: c.faces.choose_second(k if on else ""))  # type: ignore[misc]
        row.addWidget(button)
    c.column.addLayout(row)
    count = len(faces_of(place.second.faces, 1 << 30)) if place.second.faces else 0
    reads = "" if o.material.mapping.uv_set else " Set “UV set” at Blend to the second, so that the picture reads it."
    what = Message("{count} triangles lie in it.", count=count) if count else "All faces lie in it until some are chosen."
    c.column.addWidget(label(what + reads, "figure", wrap=True))


def _shape(c: Page, o: Overlay) -> object:
    """What decides which controls there are."""
    places = tuple(
        (
            p.id,
            p.mount,
            getattr(p, "form", ""),
            getattr(p, "slices", ""),
            getattr(p, "second", None),
            len(getattr(p, "cuts", ())),
        )
        for p in o.places
    )
    return (
        c.session.place_id,
        c.faces.second_by,
        o.material.mapping.uv_set,
        places,
        bool(o.sheet.grids),
        (o.material.breakup.amount == 0),
    )


STATION = Station("place", "Place", "Where it stands on the stage.", 50, build_place, lambda o: bool(o.places), _shape)
"""Registered."""

"""Where things stand on the stage: the settings of a placement, and their triangles are in `placing`."""

from typing import Annotated, Any, Literal

from pydantic import Field, SerializerFunctionWrapHandler, model_serializer

from mivex.core.base.settings import Frozen, OmitDefaultsModel, new_id, setting

Vec3 = tuple[float, float, float]
Pivot = tuple[float, float]
"""A point of a picture, as shares of its width and height from the top left."""


class _Sized(Frozen):
    """What every placement has: an id, a turn in its own plane in degrees, a size in metres."""

    id: str = Field(default_factory=new_id)
    roll: float = 0.0
    width: float = Field(1.0, gt=0, le=100)
    height: float = Field(1.0, gt=0, le=100)


class _Aimed(_Sized):
    """A decal that is thrown from a place along the direction against which it faces."""

    at: Vec3 = (0.0, 0.0, 0.8)
    yaw: float = 0.0
    pitch: float = 90.0


class _Held(_Sized):
    """A placement that is held at a point of its picture; what is as usual is not written."""

    pivot: Pivot = Field((0.5, 0.5), description="Point of the picture that stands at the place.")

    @model_serializer(mode="wrap")
    def _without_usual(self, write: SerializerFunctionWrapHandler) -> dict[str, Any]:
        return {
            k: v
            for k, v in write(self).items()
            if not (k == "pivot" and self.pivot == (0.5, 0.5))
            and not (k == "upright" and not v)
            and not (k == "slices" and v == "same")
            and not (k == "cuts" and not v)
        }


class Cut(Frozen):
    """A straight line in a panel's plane, of which one side is kept."""

    angle: float = Field(0.0, ge=-360, le=360, description="Degrees of what is kept: 0 lies to the right, 90 above.")
    at: float = Field(0.0, ge=-200, le=200, description="Metres of the line from the pivot, along that direction.")


class PanelPlace(_Held):
    """A flat panel standing free in the scene."""

    mount: Literal["panel"] = "panel"
    at: Vec3 = (0.0, 1.2, 0.6)
    yaw: float = 0.0
    pitch: float = 0.0
    cuts: tuple[Cut, ...] = Field((), max_length=16, description="Lines, of each of which one side is left.")


class HullPlace(_Sized):
    """A decal laid on the hull: ``along`` its axis in metres, ``around`` it in degrees, 0 facing the dock."""

    mount: Literal["hull"] = "hull"
    along: float = 0.0
    around: float = 10.0


class BillboardPlace(_Held):
    """A square that always faces the camera, or only turns about the upright axis."""

    mount: Literal["billboard"] = "billboard"
    upright: bool = Field(False, description="It stays upright and turns to the camera only about the upright axis.")
    at: Vec3 = (0.0, 1.2, 0.8)
    width: float = Field(0.5, gt=0, le=100)
    height: float = Field(0.5, gt=0, le=100)


class SurfacePlace(_Aimed):
    """A decal laid on whatever surface lies at a place: found along the direction that it faces."""

    mount: Literal["surface"] = "surface"


class ProjectedPlace(_Aimed):
    """A decal thrown by a box onto whatever surface lies inside: ``at`` is its middle, thrown against where it faces."""

    mount: Literal["projected"] = "projected"
    depth: float = Field(0.6, gt=0, le=100, description="Nothing beyond half of it takes the picture.")
    angle: float = Field(80.0, ge=1, le=90, description="Degrees to the box from which nothing is left.")


Form = Literal["crossed", "stack", "box", "cylinder", "curved", "dome"]
FORMS: dict[str, str] = {
    "crossed": "Crossed panels",
    "stack": "Stack of panels",
    "box": "Box",
    "cylinder": "Cylinder",
    "curved": "Curved plate",
    "dome": "Dome",
}


class ShapePlace(_Held):
    """A simple shape that carries the overlay: crossed or parallel panels, a box, a cylinder, a curved plate, a dome."""

    mount: Literal["shape"] = "shape"
    form: Form = "crossed"
    count: int = Field(2, ge=1, le=64, description="Panels of crossed ones and of a stack.")
    depth: float = Field(0.5, gt=0, le=100, description="Of a stack, a box and a dome, metres.")
    slices: Literal["same", "noise", "frames"] = Field(
        "same",
        description="What the panels of a stack show: each the picture; or all one solid noise through which they "
        "cut, as far as it is broken up; or each its own frame of a sheet, the farthest the first.",
    )
    bend: float = Field(90.0, ge=1, le=360, description="Of a curved plate, degrees.")
    at: Vec3 = (0.0, 0.5, 0.8)
    yaw: float = 0.0
    pitch: float = 0.0


class SecondSet(OmitDefaultsModel):
    """A second UV set made here, for a logo: chosen faces laid flat along their mean normal, or unwrapped."""

    how: Literal["file", "flat", "unwrapped"] = setting(
        "file",
        "Second UV set",
        "The file's own; or chosen faces seen along their mean normal; or unwrapped with little stretching.",
        choices={"file": "As in the file", "flat": "Faces laid flat", "unwrapped": "Faces unwrapped"},
    )
    faces: str = Field("", description="Numbers of the triangles in it; none: all.")


class MeshPlace(_Sized):
    """A mesh from a file, which carries the overlay on its own UVs; ``width`` is its longest side."""

    mount: Literal["mesh"] = "mesh"
    path: str = ""
    second: SecondSet = Field(default_factory=SecondSet)

    @model_serializer(mode="wrap")
    def _without_usual(self, write: SerializerFunctionWrapHandler) -> dict[str, Any]:
        return {k: v for k, v in write(self).items() if k != "second" or self.second.how != "file" or self.second.faces}

    at: Vec3 = (0.0, 0.5, 0.8)
    yaw: float = 0.0
    pitch: float = 0.0


Place = Annotated[
    PanelPlace | HullPlace | BillboardPlace | SurfacePlace | ProjectedPlace | ShapePlace | MeshPlace,
    Field(discriminator="mount"),
]


class Around(OmitDefaultsModel):
    """What stands round the overlays: the dock, or a mesh of the artist's."""

    path: str = Field("", title="Mesh", description="OBJ, PLY or glTF; empty: the dock.")
    scale: float = setting(
        1.0,
        "Size",
        "Size of the mesh against what its file says, in metres.",
        unit="×",
        ge=0.0001,
        le=10000,
        drag=(0.01, 100),
        log=True,
    )
    turn: float = setting(0.0, "Turned", "Turns the mesh about the upright axis.", unit="°", ge=-180, le=180)
    grey: float = setting(0.5, "Grey", "How bright the mesh is; it has no colour.", ge=0, le=1)
    person: bool = setting(False, "Person", "A plain figure 1.75 m tall, to judge sizes by.")
    rough: float = setting(0.6, "Roughness", "Smooth mirrors what is around it, rough scatters it.", ge=0, le=1)

"""The document: everything a project is, as immutable values.

An edit is a function from document to document; undo is a stack of documents.
"""

from typing import Annotated, Literal

from pydantic import Field, field_validator

from mivex.core.base.limits import WORDS, fits
from mivex.core.base.settings import Frozen, new_id, setting
from mivex.core.material.material import Kind, Material
from mivex.core.project.recipe import AnyStep

VERSION = 1
"""Version of the project file that this program writes."""

Vec3 = tuple[float, float, float]


class Source(Frozen):
    """Which picture an overlay starts from."""

    path: str = Field("", description="Relative to the project file, or absolute; empty: none yet.")
    meaning: Literal["guess", "colour", "data"] = setting(
        "guess", "Holds", "Colour is decoded to light before it is filtered; data is filtered as it is.",
        choices={"guess": "Guess", "colour": "Colour", "data": "Data"})
    canvas: tuple[int, int] = Field((0, 0), description="Width and height of an empty start, where there is no "
                                    "picture; text, shapes and noise are drawn on it.")
    alpha_stored: Literal["straight", "premultiplied"] = setting(
        "straight", "Colour stored", "Premultiplied pictures are divided by their alpha first.",
        choices={"straight": "Straight", "premultiplied": "Premultiplied"})


    @field_validator("canvas")
    @classmethod
    def _possible(cls, size: tuple[int, int]) -> tuple[int, int]:
        if size != (0, 0) and not fits(*size):
            raise ValueError(f"width and height must both be 0, or {WORDS}")
        return size

    @property
    def ready(self) -> bool:
        """There is something to start from."""
        return bool(self.path) or self.canvas[0] > 0


class PanelPlace(Frozen):
    """A flat panel standing free in the scene."""

    id: str = Field(default_factory=new_id)
    mount: Literal["panel"] = "panel"
    at: Vec3 = (0.0, 1.2, 0.6)
    yaw: float = 0.0
    pitch: float = 0.0
    roll: float = 0.0
    width: float = Field(1.0, gt=0, le=100)
    height: float = Field(1.0, gt=0, le=100)


class HullPlace(Frozen):
    """A decal laid on the hull: ``along`` its axis in metres, ``around`` it in degrees, 0 facing the dock."""

    id: str = Field(default_factory=new_id)
    mount: Literal["hull"] = "hull"
    along: float = 0.0
    around: float = 10.0
    roll: float = 0.0
    width: float = Field(1.0, gt=0, le=100)
    height: float = Field(1.0, gt=0, le=100)


class BillboardPlace(Frozen):
    """A square that always faces the camera."""

    id: str = Field(default_factory=new_id)
    mount: Literal["billboard"] = "billboard"
    at: Vec3 = (0.0, 1.2, 0.8)
    roll: float = 0.0
    width: float = Field(0.5, gt=0, le=100)
    height: float = Field(0.5, gt=0, le=100)


Place = Annotated[PanelPlace | HullPlace | BillboardPlace, Field(discriminator="mount")]


class Delivery(Frozen):
    """How an overlay leaves."""

    format: Literal["png", "tga", "tif", "tga24"] = setting(
        "png", "File", "PNG, TGA of 32 bit and TIFF hold straight alpha and the colour beneath it; TIFF also mip "
        "levels. 24 bit has no alpha: for Solid only.",
        choices={"png": "PNG", "tga": "TGA, 32 bit", "tif": "TIFF", "tga24": "TGA, 24 bit, no alpha"})
    bits: Literal[8, 16] = setting(8, "Depth", "Finer alpha steps at twice the size; TGA holds 8.",
                                   unit="bit")
    name: str = setting("", "Name", "Name of the file without ending; empty: the overlay's own name.")
    budget: int = setting(2048, "Size budget", "Largest side that the receiver wants; larger is a finding. 0: any.",
                          unit="px", ge=0, le=16384, drag=(0, 4096))

    @property
    def suffix(self) -> str:
        """Ending of the file's name, without the dot."""
        return "tga" if self.format == "tga24" else self.format


class Overlay(Frozen):
    """One thing the artist makes."""

    id: str = Field(default_factory=new_id)
    name: str
    kind: Kind = "sprite"
    shown: bool = True
    source: Source = Source()
    steps: tuple[AnyStep, ...] = ()
    material: Material = Material()
    places: tuple[Place, ...] = ()
    delivery: Delivery = Delivery()


class Camera(Frozen):
    """A named view of the stage: looks at ``target`` from ``distance`` metres."""

    name: str
    target: Vec3 = (0.0, 1.2, 0.0)
    yaw: float = 0.0
    pitch: float = 8.0
    distance: float = Field(6.0, gt=0.01, le=500)
    fov: float = Field(45.0, ge=5, le=120)


CAMERAS: tuple[Camera, ...] = (
    Camera(name="Dock", target=(0.1, 1.25, -0.6), yaw=14.0, pitch=9.0, distance=6.4),
    Camera(name="Hull", target=(-0.6, 1.7, -0.8), yaw=-10.0, pitch=3.0, distance=3.2),
    Camera(name="Floor", target=(0.9, 0.5, 0.3), yaw=28.0, pitch=6.0, distance=3.4),
    Camera(name="Far", target=(0.0, 1.3, -0.8), yaw=4.0, pitch=14.0, distance=15.0),
)
"""Views a new project starts with."""


class Document(Frozen):
    """A whole project."""

    mivex: int = Field(VERSION, description="Version of the format.")
    overlays: tuple[Overlay, ...] = ()
    cameras: tuple[Camera, ...] = CAMERAS

    def overlay(self, overlay_id: str) -> Overlay | None:
        """The overlay of that id, or None."""
        return next((o for o in self.overlays if o.id == overlay_id), None)

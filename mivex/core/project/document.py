"""The document: everything a project is, as immutable values.

An edit is a function from document to document; undo is a stack of documents.
"""

from typing import Any, Literal

from pydantic import Field, SerializerFunctionWrapHandler, field_validator, model_serializer

from mivex.core.base.limits import WORDS, fits
from mivex.core.base.messages import Message
from mivex.core.base.settings import Frozen, new_id, setting
from mivex.core.layers.model import Stack
from mivex.core.material.material import Kind, Material
from mivex.core.motion.model import Air, Effect
from mivex.core.picture.formats import FORMATS, TITLES, StraightFormat
from mivex.core.project.delivery import DeliveryRecipe
from mivex.core.project.limits import Limits
from mivex.core.project.receiver import Receiver
from mivex.core.project.recipe import AnyStep
from mivex.core.sheet.model import Sheet
from mivex.core.stage.camera import CAMERAS, Camera
from mivex.core.stage.lights import Lighting
from mivex.core.stage.placements_model import Around, Place

VERSION = 1
"""Version of the project file that this program writes."""


class Source(Frozen):
    """Which picture an overlay starts from."""

    path: str = Field("", description="Relative to the project file, or absolute; empty: none yet.")
    meaning: Literal["guess", "colour", "data"] = setting(
        "guess",
        "Holds",
        "Colour is decoded to light before it is filtered; data is filtered as it is.",
        choices={"guess": "Guess", "colour": "Colour", "data": "Data"},
    )
    canvas: tuple[int, int] = Field(
        (0, 0),
        description="Width and height of an empty start, where there is no "
        "picture; text, shapes and noise are drawn on it.",
    )
    alpha_stored: Literal["straight", "premultiplied"] = setting(
        "straight",
        "Colour stored",
        "Premultiplied pictures are divided by their alpha first.",
        choices={"straight": "Straight alpha", "premultiplied": "Premultiplied"},
    )

    @field_validator("canvas")
    @classmethod
    def _possible(cls, size: tuple[int, int]) -> tuple[int, int]:
        if size != (0, 0) and not fits(*size):
            raise ValueError(Message("width and height must both be 0, or {words}", words=WORDS))
        return size

    @property
    def ready(self) -> bool:
        """Whether there is a picture or a canvas to start from."""
        return bool(self.path) or self.canvas[0] > 0


class Delivery(Frozen):
    """Settings of an overlay's delivery: recipe, format, depth, size, budget."""

    format: Literal[StraightFormat, "tga24"] = setting(
        "png",
        "File",
        "All but the last hold straight alpha and the colour beneath it; KTX 2 every mip level, its colour "
        "weighed by alpha; TIFF those that keep coverage. 24 bit has no alpha: for Solid only.",
        choices={
            **{name: title for name, title in TITLES.items() if FORMATS[name].straight},
            "tga": "TGA, 32 bit",
            "tga24": "TGA, 24 bit, no alpha",
        },
    )
    bits: Literal[8, 16] = setting(8, "Depth", "Finer alpha steps at twice the size; TGA holds 8.", unit="bit")
    name: str = setting("", "Name", "Name of the file without ending; empty: the overlay's own name.")
    recipe: str = Field(
        "",
        title="Recipe",
        description="Delivery recipe: key of one that comes with Mivex, or name of "
        "one of "
        "the project's; empty: the whole surface.",
    )
    budget: int = setting(
        2048,
        "Size budget",
        "Largest side that the receiver wants; larger is a finding. 0: any.",
        unit="px",
        ge=0,
        le=16384,
        drag=(0, 4096),
    )

    @model_serializer(mode="wrap")
    def _without_usual(self, write: SerializerFunctionWrapHandler) -> dict[str, Any]:
        return {k: v for k, v in write(self).items() if v or k != "recipe"}

    @property
    def suffix(self) -> str:
        """Ending of the file's name, without the dot."""
        return "tga" if self.format == "tga24" else self.format


class Overlay(Frozen):
    """One overlay: source, steps, layers, material, placements, sheet and delivery."""

    id: str = Field(default_factory=new_id)
    name: str
    kind: Kind = "sprite"
    shown: bool = True
    source: Source = Field(default_factory=Source)
    steps: tuple[AnyStep, ...] = ()
    material: Material = Field(default_factory=Material)
    layers: Stack = Field(default_factory=Stack)
    reference: str = Field(
        "", description="A picture that is looked at beside it; relative to the project file, or absolute."
    )
    places: tuple[Place, ...] = ()
    delivery: Delivery = Field(default_factory=Delivery)
    sheet: Sheet = Field(default_factory=Sheet)
    variant_of: str = Field("", description="Id of the overlay whose material it follows; empty: none.")
    own: tuple[str, ...] = Field((), description="Settings of its material that are its own.")

    @field_validator("own")
    @classmethod
    def _there(cls, own: tuple[str, ...]) -> tuple[str, ...]:
        if unknown := [k for k in own if k not in Material.model_fields]:
            raise ValueError(Message("“{unknown}” is no setting of a material", unknown=unknown[0]))
        return own

    @model_serializer(mode="wrap")
    def _without_usual(self, write: SerializerFunctionWrapHandler) -> dict[str, Any]:
        """What only variants and sheets have is written only for them."""
        return {k: v for k, v in write(self).items() if v or k not in ("variant_of", "own", "sheet")}


class Ignored(Frozen):
    """Findings of a picture file that somebody let stand."""

    path: str = Field(description="The picture; relative to the project file, or absolute.")
    findings: tuple[str, ...] = Field(description="Ids of the findings that do not count.")
    reason: str = Field("", description="Why, in the artist's words.")
    digest: str = Field("", description="Of the file that was looked at: another picture counts again.")


class Document(Frozen):
    """A whole project."""

    mivex: int = Field(VERSION, description="Version of the format.")
    overlays: tuple[Overlay, ...] = ()
    cameras: tuple[Camera, ...] = CAMERAS
    lighting: Lighting = Field(default_factory=Lighting)
    around: Around = Field(default_factory=Around)
    effects: tuple[Effect, ...] = Field((), description="Groups of emitters, whose particles show overlays.")
    air: Air = Field(default_factory=Air)
    deliveries: tuple[DeliveryRecipe, ...] = Field((), description="Delivery recipes of the project's own.")
    ignored: tuple[Ignored, ...] = Field((), description="Findings of picture files that were looked at and let stand.")
    limits: Limits | None = Field(None, description="Which findings do not count, where no file of limits is given.")
    receivers: tuple[Receiver, ...] = Field((), description="What receivers do, as pictures of the test card told.")
    overdraw: float = setting(
        8.0,
        "Overdraw budget",
        "Fragments a pixel that the artist allows; more is a finding.",
        unit="a pixel",
        ge=1,
        le=256,
        drag=(1, 32),
    )

    @model_serializer(mode="wrap")
    def _without_usual(self, write: SerializerFunctionWrapHandler) -> dict[str, Any]:
        """Effects, air and budget are written only where there are such, or they are not as usual."""
        rare = ("effects", "air", "deliveries", "ignored", "receivers", "limits")
        return {k: v for k, v in write(self).items() if (k != "overdraw" or v != 8.0) and (v or k not in rare)}

    def effect(self, effect_id: str) -> Effect | None:
        """The effect of that id, or None."""
        return next((e for e in self.effects if e.id == effect_id), None)

    def overlay(self, overlay_id: str) -> Overlay | None:
        """The overlay of that id, or None."""
        return next((o for o in self.overlays if o.id == overlay_id), None)

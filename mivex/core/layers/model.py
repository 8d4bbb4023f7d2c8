"""What a stack of layers is: rows that each change some channels, with a value, through a mask.

Heights are counted from the surface, −1 to 1; all else lies in [0, 1]. Colours are given in display values and are
joined in linear light.
"""

from collections.abc import Iterator
from typing import Annotated, Any, ClassVar, Literal

from pydantic import Discriminator, Field, Tag

from mivex.core.base.settings import OmitDefaultsModel, Rgb, new_id, setting
from mivex.core.layers.channels import CHANNELS, LayerChannel
from mivex.core.layers.patterns import AnyPattern
from mivex.core.layers.strokes import PaintStroke

LayerBlend = Literal["towards", "multiply", "add", "screen", "larger", "smaller"]
JOINS: dict[str, str] = {
    "towards": "Towards it",
    "multiply": "Multiplied",
    "add": "Added",
    "screen": "Screened",
    "larger": "The larger",
    "smaller": "The smaller",
}
MARKS: dict[str, str] = {"towards": "→", "multiply": "×", "add": "+", "screen": "∪", "larger": "↑", "smaller": "↓"}
"""How a join is marked in the table."""
MaskJoin = Literal["multiply", "add", "subtract", "larger", "smaller", "difference"]
MASK_JOINS: dict[str, str] = {
    "multiply": "Multiplied",
    "add": "Added",
    "subtract": "Taken away",
    "larger": "The larger",
    "smaller": "The smaller",
    "difference": "The difference",
}
From = Literal["flat", "pattern", "picture", "overlay", "painted"]
FROM_WORDS = {
    "flat": "One value",
    "pattern": "A pattern",
    "picture": "A picture",
    "overlay": "An overlay's result",
    "painted": "What is painted",
}
PictureChannel = Literal["luminance", "red", "green", "blue", "alpha"]
_PICTURE_WORDS = {"luminance": "Luminance", "red": "Red", "green": "Green", "blue": "Blue", "alpha": "Alpha"}


class UvTransform(OmitDefaultsModel):
    """How a pattern or a picture lies on the canvas."""

    by: Literal["picture", "space"] = setting(
        "picture",
        "Laid by",
        "In the picture; or by where a texel lies on the mesh, seen from three sides, so that no seam shows. A tile is "
        "then as large as the mesh's longest side.",
        choices={"picture": "The picture", "space": "Place in space"},
    )

    across: float = setting(
        1.0, "Tiles across", "How often it goes into the canvas.", unit="×", ge=0.01, le=64, drag=(0.25, 8), log=True
    )
    down: float = setting(
        1.0, "Tiles down", "How often it goes into the canvas.", unit="×", ge=0.01, le=64, drag=(0.25, 8), log=True
    )
    right: float = setting(0.0, "Shifted right", "As a share of the canvas's width.", ge=-64, le=64, drag=(-1, 1))
    low: float = setting(0.0, "Shifted down", "As a share of the canvas's height.", ge=-64, le=64, drag=(-1, 1))
    turn: float = setting(
        0.0,
        "Turned",
        "About the middle of the canvas; turned by other than quarters it no longer repeats.",
        unit="°",
        ge=-360,
        le=360,
        drag=(-180, 180),
    )


class Range(OmitDefaultsModel):
    """Values brought from one range to another: what is ``low`` becomes 0, what is ``high`` becomes 1, then ``gamma``."""

    low: float = setting(0.0, "Dark end", "From here down it is 0.", ge=-1, le=1, drag=(0, 1))
    high: float = setting(1.0, "Bright end", "From here up it is 1.", ge=-1, le=2, drag=(0, 1))
    gamma: float = setting(1.0, "Gamma", "Above one lifts what lies between.", ge=0.05, le=20, drag=(0.2, 5), log=True)

    @property
    def plain(self) -> bool:
        """Whether these levels leave every value as it is."""
        return self.low == 0 and self.high == 1 and self.gamma == 1


class ChannelSource(OmitDefaultsModel):
    """What a layer makes of one channel: a value, and how it joins what lies below."""

    WHEN: ClassVar[dict[str, tuple[str, tuple[Any, ...]]]] = {
        "colour": ("source", ("flat", "pattern")),
        "number": ("source", ("flat", "pattern")),
        "colour_low": ("source", ("pattern",)),
        "number_low": ("source", ("pattern",)),
        "path": ("source", ("picture",)),
        "channel": ("source", ("picture", "overlay")),
        "overlay": ("source", ("overlay",)),
    }

    source: From = setting("flat", "Value", "Where the value comes from.", choices=FROM_WORDS)
    colour: Rgb = setting((0.5, 0.5, 0.5), "Colour", "The colour; of a pattern, where it is bright.", widget="colour")
    colour_low: Rgb = setting((0.0, 0.0, 0.0), "Dark colour", "Where the pattern is dark.", widget="colour")
    number: float = setting(0.5, "Number", "The value; of a pattern, where it is bright.", ge=-1, le=1, drag=(0, 1))
    number_low: float = setting(0.0, "Dark number", "Where the pattern is dark.", ge=-1, le=1, drag=(0, 1))
    pattern: AnyPattern | None = None
    path: str = setting("", "Picture", "Its colours, or one of its channels.", widget="file")
    channel: PictureChannel = setting(
        "luminance", "Read", "Which of its channels is the value; for colour all three are.", choices=_PICTURE_WORDS
    )
    overlay: str = ""
    laid: UvTransform = Field(default_factory=UvTransform)
    levels: Range = Field(default_factory=Range)
    join: LayerBlend = setting("towards", "Joins", "How it meets what lies below.", choices=JOINS)
    strength: float = setting(1.0, "Strength", "Of this channel alone.", ge=0, le=1)


class Geometry(OmitDefaultsModel):
    """A mask worked out from the mesh that the overlay sits on; of a flat overlay, from the heights below."""

    WHEN: ClassVar[dict[str, tuple[str, tuple[Any, ...]]]] = {
        "reach": ("kind", ("occlusion", "cavity", "thickness")),
        "rays": ("kind", ("occlusion", "thickness")),
        "axis": ("kind", ("position", "facing")),
        "low": ("kind", ("position",)),
        "high": ("kind", ("position",)),
        "size": ("kind", ("edges",)),
    }

    kind: Literal["occlusion", "cavity", "edges", "position", "facing", "thickness"] = setting(
        "occlusion",
        "Finds",
        "Where light comes less, hollows, outer edges, how far along an axis, which way it faces, how thin it is.",
        choices={
            "occlusion": "Occlusion",
            "cavity": "Cavities",
            "edges": "Outer edges",
            "position": "Along an axis",
            "facing": "Facing",
            "thickness": "Thin places",
        },
    )
    reach: float = setting(
        0.2, "Reach", "How far it looks, as a share of the mesh's longest side.", ge=0.001, le=4, drag=(0.01, 1), log=True
    )
    rays: int = setting(32, "Rays", "A texel; more is smoother and slower.", ge=4, le=512, drag=(8, 128))
    axis: Literal["right", "left", "up", "down", "front", "back"] = setting(
        "down",
        "Towards",
        "Bright is that way.",
        choices={"up": "Up", "down": "Down", "right": "Right", "left": "Left", "front": "Front", "back": "Back"},
    )
    low: float = setting(0.0, "From", "Share of the mesh's extent where it begins.", ge=0, le=1)
    high: float = setting(1.0, "To", "Share of the mesh's extent where it is full.", ge=0, le=1)
    size: float = setting(
        0.02,
        "Edge size",
        "Roundings up to this radius count, as a share of the longest side.",
        ge=0.001,
        le=1,
        drag=(0.005, 0.2),
        log=True,
    )


class Shaping(OmitDefaultsModel):
    """What is done to a part of a mask once it is there, in this order."""

    WHEN: ClassVar[dict[str, tuple[str, tuple[Any, ...]]]] = {}

    warp: float = setting(
        0.0, "Warp", "How far it is pulled about, as a share of the shorter side.", ge=0, le=0.5, drag=(0, 0.1)
    )
    grow: float = setting(
        0.0, "Grow", "Its outline moves outwards; below zero, inwards.", ge=-0.1, le=0.1, drag=(-0.03, 0.03)
    )
    distance: float = setting(
        0.0,
        "Distance",
        "It becomes how far inside or outside its outline a place lies; half at the outline, all and nothing this far off.",
        ge=0,
        le=1,
        drag=(0, 0.2),
    )
    blur: float = setting(0.0, "Blur", "Softens it, as a share of the shorter side.", ge=0, le=0.5, drag=(0, 0.05))
    goes_round: bool = setting(True, "Goes round", "One side is softened into the other: for pictures that repeat.")


class MaskPart(OmitDefaultsModel):
    """One part of a mask: where something is, and how it joins the parts before it; the first one begins."""

    WHEN: ClassVar[dict[str, tuple[str, tuple[Any, ...]]]] = {
        "value": ("source", ("flat", "painted")),
        "path": ("source", ("picture",)),
        "channel": ("source", ("picture", "overlay")),
        "of": ("source", ("layer", "below")),
    }

    on: bool = True
    source: Literal["flat", "pattern", "picture", "painted", "geometry", "region", "layer", "below", "overlay"] = setting(
        "flat",
        "Part",
        "What this part of the mask is.",
        choices={
            "flat": "One value",
            "pattern": "A pattern",
            "picture": "A picture",
            "painted": "What is painted",
            "geometry": "Found on the mesh",
            "region": "Chosen faces",
            "layer": "Another layer",
            "below": "The result below",
            "overlay": "Another overlay",
        },
    )
    join: MaskJoin = setting("multiply", "Joins", "How it meets the parts before it.", choices=MASK_JOINS)
    value: float = setting(1.0, "Value", "Everywhere; of a painted part, where nothing is painted.", ge=0, le=1)
    pattern: AnyPattern | None = None
    path: str = setting("", "Picture", "Bright lets through.", widget="file")
    channel: PictureChannel = setting("luminance", "Read", "Which of its channels.", choices=_PICTURE_WORDS)
    strokes: tuple[PaintStroke, ...] = ()
    geometry: Geometry = Field(default_factory=Geometry)
    faces: str = Field("", description="Numbers of the mesh's triangles, as in 0-11,40.")
    layer: str = ""
    of: Literal["mask"] | LayerChannel = setting(
        "mask", "Read", "Its mask, or what it makes of a channel.", choices={"mask": "Its mask", **CHANNELS}
    )
    overlay: str = Field("", description="Id of the overlay that it reads.")
    laid: UvTransform = Field(default_factory=UvTransform)
    shape: Shaping = Field(default_factory=Shaping)
    warp_by: AnyPattern | None = Field(None, description="The pattern that it is warped by; none: layered noise.")
    invert: bool = setting(False, "Inverted", "Where it was not.")
    levels: Range = Field(default_factory=Range)
    contrast: float = setting(0.0, "Contrast", "Towards all or nothing.", ge=0, le=1)
    balance: float = setting(0.0, "Balance", "More of it, or less.", ge=-1, le=1)


class Mask(OmitDefaultsModel):
    """Where a row acts: a short stack of parts; none is everywhere."""

    parts: tuple[MaskPart, ...] = ()


class Row(OmitDefaultsModel):
    """What layers and groups share."""

    ALWAYS: ClassVar = frozenset({"id"})

    id: str = Field(default_factory=new_id)
    name: str = ""
    on: bool = True
    strength: float = setting(1.0, "Strength", "Fades the whole row.", ge=0, le=1)
    mask: Mask = Field(default_factory=Mask)


class Layer(Row):
    """A layer: cells for the channels that it touches, paint, or a whole overlay laid over."""

    cells: dict[LayerChannel, ChannelSource] = Field(default_factory=dict)
    strokes: tuple[PaintStroke, ...] = ()
    laid_over: str = Field("", description="Id of an overlay that is laid over with all its channels.")

    @property
    def channels(self) -> tuple[str, ...]:
        """Channels that it touches, in the order of the table."""
        touched = set(CHANNELS) if self.laid_over else set(self.cells)
        return tuple(c for c in CHANNELS if c in touched)


class Group(Row):
    """Rows that act as one, through a mask and with a strength of their own."""

    ALWAYS: ClassVar = frozenset({"id", "rows"})

    rows: "tuple[AnyRow, ...]" = ()
    levels: dict[LayerChannel, Range] = Field(default_factory=dict)
    build: str = Field("", description="Name of the build that it was made from.")

    @property
    def channels(self) -> tuple[str, ...]:
        """Channels that its rows touch."""
        touched = {c for r in self.rows if r.on for c in r.channels}
        return tuple(c for c in CHANNELS if c in touched)


def _which(value: Any) -> str:
    return "group" if isinstance(value, Group) or (isinstance(value, dict) and "rows" in value) else "layer"


AnyRow = Annotated[Annotated[Layer, Tag("layer")] | Annotated[Group, Tag("group")], Discriminator(_which)]


class Base(OmitDefaultsModel):
    """What lies below the lowest layer: the channels of an empty canvas, or those that a picture lacks."""

    on: bool = setting(True, "Base", "Off: nothing but the layers, so that stray alpha shows.")
    colour: Rgb = setting((0.5, 0.5, 0.5), "Colour", "Of an empty canvas.", widget="colour")
    opacity: float = setting(0.0, "Opacity", "Of an empty canvas.", ge=0, le=1)
    roughness: float = setting(0.6, "Roughness", "Smooth mirrors what is around it, rough scatters it.", ge=0, le=1)
    metal: float = setting(0.0, "Metal", "Bare metal is 1.", ge=0, le=1)


def base_for(kind: str) -> Base:
    """What an empty canvas of a kind of overlay starts as."""
    if kind == "glass":
        return Base(colour=(0.10, 0.13, 0.14), opacity=0.3, roughness=0.05)
    if kind == "cloth":
        return Base(colour=(0.56, 0.54, 0.48), opacity=1.0, roughness=0.85)
    if kind in ("decal", "logo"):
        return Base(colour=(0.5, 0.5, 0.5), opacity=0.0, roughness=0.6)
    return Base(colour=(0.62, 0.62, 0.62), opacity=0.0, roughness=0.9)


class Relief(OmitDefaultsModel):
    """What becomes of heights at the end."""

    strength: float = setting(
        1.0, "Bumps", "How steep heights become; below zero, hills are hollows.", unit="×", ge=-16, le=16, drag=(-4, 4)
    )
    green: Literal["up", "down"] = setting(
        "up",
        "Green points",
        "Which way the delivered normal map's second channel counts.",
        choices={"up": "Up", "down": "Down"},
    )
    occlusion: bool = setting(False, "Occlusion", "Hollows are shaded.")
    reach: float = setting(
        0.05,
        "Reach",
        "How wide the shaded hollows are, as a share of the shorter side.",
        ge=0.001,
        le=1,
        drag=(0.005, 0.3),
        log=True,
    )


class EdgeFade(OmitDefaultsModel):
    """Fades everything near the border, along a ragged line."""

    on: bool = setting(False, "Border guard", "Fades the layers' opacity near the border, along a ragged line.")
    width: float = setting(0.06, "Width", "As a share of the shorter side.", ge=0, le=0.5, drag=(0, 0.25))
    ragged: float = setting(0.6, "Raggedness", "0 is a straight fade.", ge=0, le=1)
    features: int = setting(9, "Features", "Bays and tongues along a side.", ge=1, le=128, drag=(1, 40))
    seed: int = setting(1, "Seed", "Another number, another line.", ge=0, le=99999, drag=(0, 100))


class Stack(OmitDefaultsModel):
    """An overlay's layers, the lowest first."""

    base: Base = Field(default_factory=Base)
    rows: tuple[AnyRow, ...] = ()
    levels: dict[LayerChannel, Range] = Field(default_factory=dict)
    relief: Relief = Field(default_factory=Relief)
    guard: EdgeFade = Field(default_factory=EdgeFade)

    @property
    def idle(self) -> bool:
        """Whether a stack leaves a picture as it is: no rows that count, no levels, no guard."""
        return not any(r.on for r in self.rows) and not self.levels and not self.guard.on

    def walk(self) -> "Iterator[Layer | Group]":
        """Every row, those of groups behind their group."""
        yield from walk(self.rows)

    def row(self, row_id: str) -> "Layer | Group | None":
        """The row of that id, wherever it lies."""
        return next((r for r in self.walk() if r.id == row_id), None)


def walk(rows: "tuple[Layer | Group, ...]") -> "Iterator[Layer | Group]":
    """Rows, those of groups behind their group."""
    for r in rows:
        yield r
        if isinstance(r, Group):
            yield from walk(r.rows)

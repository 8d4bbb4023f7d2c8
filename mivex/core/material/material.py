"""Material settings of an overlay, with sensible defaults by kind."""

import math
from collections.abc import Callable
from typing import Any, Literal

from pydantic import BaseModel, ConfigDict, Field, SerializerFunctionWrapHandler, model_serializer

from mivex.core.base.settings import OmitDefaultsModel, Rgb, setting
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
from mivex.core.material.sourced import CHANNEL_NAMES, Channel, Sourced
from mivex.core.pixels.blends import BLENDS, BlendName, GroupName

Kind = Literal["glass", "decal", "logo", "sprite", "cloth"]


PackedName = Literal["occlusion", "roughness", "metal", "smoothness", "opacity", "nothing"]


class Normals(Sourced):
    """Where the surface's bumps come from."""

    strength: float = setting(
        1.0, "Bumps", "How steep bumps are; below zero they are dents.", unit="×", ge=-8, le=8, drag=(-2, 2)
    )
    green: Literal["up", "down"] = setting(
        "up",
        "Green points",
        "Which way the normal map's second channel counts; the wrong one turns bumps into dents.",
        choices={"up": "Up", "down": "Down"},
    )


class Glow(Sourced):
    """Light that the surface gives off."""

    strength: float = setting(
        0.0,
        "Glow",
        "Light that the surface gives off by itself, unlike a tint also in the dark.",
        unit="×",
        ge=0,
        le=64,
        drag=(0, 4),
    )
    colour: Rgb = setting((1.0, 1.0, 1.0), "Glow colour", "Colour of that light.", widget="colour")


class Finish(OmitDefaultsModel):
    """What a surface is made of, besides colour and opacity."""

    colour: Sourced = Field(default_factory=lambda: Sourced(source="own"))
    opacity: Channel = Field(default_factory=lambda: Channel(source="own", channel="alpha"))
    roughness: Channel = Field(default_factory=lambda: Channel(value=0.6))
    metal: Channel = Field(default_factory=lambda: Channel(value=0.0))
    occlusion: Channel = Field(default_factory=lambda: Channel(value=1.0))
    normal: Normals = Field(default_factory=Normals)
    glow: Glow = Field(default_factory=Glow)


class Mapping(OmitDefaultsModel):
    """How the pictures lie on the mesh."""

    uv_set: Literal[0, 1] = setting(0, "UV set", "Which of the mesh's UV sets is read.", choices={0: "First", 1: "Second"})
    across: float = setting(
        1.0, "Tiles across", "How often the picture goes into the surface.", unit="×", ge=-64, le=64, drag=(0.25, 8)
    )
    down: float = setting(
        1.0, "Tiles down", "How often the picture goes into the surface.", unit="×", ge=-64, le=64, drag=(0.25, 8)
    )
    right: float = setting(
        0.0, "Shifted right", "Moves the picture over the surface, as a share of its width.", ge=-64, le=64, drag=(-1, 1)
    )
    low: float = setting(
        0.0, "Shifted down", "Moves the picture over the surface, as a share of its height.", ge=-64, le=64, drag=(-1, 1)
    )
    turn: float = setting(0.0, "Turned", "Turns the picture round its middle.", unit="°", ge=-360, le=360, drag=(-180, 180))

    @property
    def rows(self) -> tuple[tuple[float, float, float], tuple[float, float, float]]:
        """Map from the mesh's UVs to the picture's: tiled, turned round the middle, then moved."""
        c, s = math.cos(math.radians(self.turn)), math.sin(math.radians(self.turn))
        a, b, d, e = c * self.across, s * self.down, -s * self.across, c * self.down
        # The middle of the surface stays the middle of the picture.
        return (a, b, 0.5 - (a + b) / 2 - self.right), (d, e, 0.5 - (d + e) / 2 - self.low)


def packed(finish: Finish, order: tuple[PackedName, ...], **where: str) -> Finish:
    """Read several values from the channels of one packed picture.

    Parameters
    ----------
    finish : Finish
    order : tuple of PackedName
        What red, green, blue and alpha hold; ``smoothness`` is read as roughness, inverted.
    **where
        ``source`` and ``path`` or ``overlay`` of the picture.
    """
    change: dict[str, Channel] = {}
    for name, holds in zip(CHANNEL_NAMES, order, strict=False):
        if holds != "nothing":
            key = "roughness" if holds == "smoothness" else holds
            change[key] = Channel.model_validate({**where, "channel": name, "invert": holds == "smoothness", "value": 1.0})
    return finish.model_copy(update=change)


Distance = Literal["object", "nearest", "place", "triangle"]
DISTANCES: dict[str, str] = {
    "object": "Whole object",
    "nearest": "Nearest point",
    "place": "Each placement",
    "triangle": "Each triangle",
}


RARE = frozenset(
    {
        "takes_tint",
        "slope_bias",
        "depth_first",
        "back_first",
        "distance",
        "erosion",
        "tones",
        "recolour",
        "flow",
        "halo",
        "glass",
        "contact",
        "dither",
        "breakup",
        "on_surface",
        "by_hand",
    }
)
"""Settings of a material that the file holds only where they are not as usual."""


class Material(BaseModel):
    """How an overlay is drawn."""

    model_config = ConfigDict(frozen=True, defer_build=True, extra="allow", allow_inf_nan=False)

    blend: BlendName = setting("Translucent", "Blend", "How the overlay meets what lies behind it.")
    cutoff: float = setting(
        0.5, "Cutoff", "Cutout keeps texels from this alpha on; lower closes holes, higher opens them.", ge=0, le=1
    )
    opacity: float = setting(1.0, "Opacity", "Multiplies alpha: fades the whole overlay.", ge=0, le=1)
    tint: Rgb = setting(
        (1.0, 1.0, 1.0), "Tint", "Multiplies colour in linear light; white leaves it alone.", widget="colour"
    )
    takes_tint: bool = setting(
        True,
        "Takes particles' tint",
        "Colours that an effect gives its particles multiply its "
        "own; off: "
        "they change nothing, as in a material without vertex colour.",
    )
    lit: bool = setting(
        True,
        "Lit by the dock",
        "Light and shadow fall on it as on the surfaces around it; off for things that shine by themselves.",
    )
    depth_test: bool = setting(True, "Depth test", "Hidden by nearer surfaces; off draws through them.")
    depth_write: bool = setting(False, "Depth write", "Hides what is drawn later behind it, even through its clear parts.")
    depth_bias: float = setting(
        0.0,
        "Depth bias",
        "Moves it towards the eye for the depth test only; keeps a decal from flickering into its surface.",
        unit="mm",
        ge=0,
        le=1000,
        drag=(0, 50),
    )
    depth_first: bool = setting(
        False,
        "Depth first",
        "Its depth is laid before its colour, so that of a see-through "
        "figure only the nearest surface shows, never one through another.",
    )
    slope_bias: float = setting(
        0.0,
        "Slope bias",
        "The same, by how it leans: so many times its change of depth from pixel to pixel.",
        unit="×",
        ge=0,
        le=64,
        drag=(0, 4),
    )
    both_faces: bool = setting(True, "Both faces", "Seen from behind as well.")
    back_first: bool = setting(
        False,
        "Back ones first",
        "Faces seen from behind are drawn before the others: right for closed see-through things such as a bottle.",
    )
    distance: Distance = setting(
        "place", "Distance by", "What counts as its distance where the order goes from far to near.", choices=DISTANCES
    )
    group: GroupName = setting("Blended", "Draw group", "Groups are drawn in this order, whatever the distance.")
    nudge: int = setting(
        0, "Order nudge", "Within its group: higher is drawn later, over the others.", ge=-99, le=99, drag=(-10, 10)
    )
    finish: Finish = Field(default_factory=Finish)
    mapping: Mapping = Field(default_factory=Mapping)
    erosion: Erosion = Field(default_factory=Erosion)
    tones: Tones = Field(default_factory=Tones)
    recolour: Recolour = Field(default_factory=Recolour)
    flow: UvScroll = Field(default_factory=UvScroll)
    halo: Halo = Field(default_factory=Halo)
    glass: Glass = Field(default_factory=Glass)
    contact: Contact = Field(default_factory=Contact)
    dither: Dither = Field(default_factory=Dither)
    breakup: Breakup = Field(default_factory=Breakup)
    on_surface: OnSurface = Field(default_factory=OnSurface)
    by_hand: tuple[Literal["depth_write", "group"], ...] = Field(
        (), description="Settings that the artist set by hand although they are the usual ones of the present blend."
    )

    def sources(self) -> dict[str, Sourced]:
        """Everything that may be read from a picture, by name: inputs of the surface, the ``mask`` that eats into it."""
        return {**dict(self.finish), "mask": self.breakup.mask}

    def with_paths(self, there: Callable[[str], str]) -> "Material":
        """The same, with every path of a picture as ``there`` gives it."""
        change = {k: part.model_copy(update={"path": there(part.path)}) for k, part in self.sources().items() if part.path}
        made = self
        if mask := change.pop("mask", None):
            made = made.model_copy(update={"breakup": made.breakup.model_copy(update={"mask": mask})})
        return made.model_copy(update={"finish": made.finish.model_copy(update=change)}) if change else made

    @model_serializer(mode="wrap")
    def _without_usual(self, write: SerializerFunctionWrapHandler) -> dict[str, Any]:
        """Effects and finer points of order are written only where they are not as usual."""
        fields = type(self).model_fields
        return {
            k: v
            for k, v in write(self).items()
            if k not in RARE or getattr(self, k) != fields[k].get_default(call_default_factory=True)
        }

    tiling: bool = setting(False, "Repeat", "Beyond its border the texture repeats; off holds the border texel.")


def default_material(kind: Kind) -> Material:
    """Usual settings for a kind of overlay."""
    if kind in ("decal", "logo"):
        return Material(group="Decal", depth_bias=8.0, both_faces=False)
    if kind == "glass":
        return Material(finish=Finish(roughness=Channel(value=0.06)))
    if kind == "cloth":
        return Material(finish=Finish(roughness=Channel(value=0.85)))
    return Material(lit=False)


def with_blend(material: Material, blend: BlendName) -> Material:
    """Change the blend and carry along what is usual for it.

    Depth write and draw group follow only where they stand at what is usual
    for the present blend; what the artist has set by hand stays, also on the way
    through blends for which it is usual. A see-through decal keeps its group.
    """
    old, new = BLENDS[material.blend], BLENDS[blend]
    change: dict[str, object] = {"blend": blend}
    by_hand = []
    for name, was, usual in (
        ("depth_write", old.writes_depth, new.writes_depth),
        ("group", old.group, new.group),
    ):
        if getattr(material, name) == was and name not in material.by_hand:
            change[name] = usual
        elif getattr(material, name) == usual:
            by_hand.append(name)
    return material.model_copy(update={**change, "by_hand": tuple(by_hand)})

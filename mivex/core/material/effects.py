"""Effects of a material: erosion, two tones, recolouring by channel, flow, halo, contact fade, glass."""

from typing import Literal

from pydantic import Field

from mivex.core.base.settings import OmitDefaultsModel, Rgb, setting
from mivex.core.material.sourced import Channel

ErosionForm = Literal["none", "fade", "erode", "soft"]
EROSIONS: dict[str, str] = {"none": "None", "fade": "Fade", "erode": "Erode", "soft": "Erode, soft"}
LANES: dict[str, str] = {"red": "Red", "green": "Green", "blue": "Blue", "alpha": "Alpha"}
Lane = Literal["red", "green", "blue", "alpha"]


class Erosion(OmitDefaultsModel):
    """How an overlay wears away, by its own alpha.

    With alpha ``a`` and amount ``e``: fade ``a (1 − e)``; erode ``saturate(a − e)``; soft
    ``smoothstep(e, e + softness, a)``, and 0 at ``e = 1``.
    """

    form: ErosionForm = setting(
        "none", "Erosion", "How it wears away: evenly, or its faintest parts first.", choices=EROSIONS
    )
    amount: float = setting(0.0, "Erosion amount", "How far it has worn away; all of it at 1.", ge=0, le=1)
    soft: float = setting(0.2, "Softness", "Width of the edge that is left, in alpha.", ge=0.001, le=1)
    by: Literal["slider", "tint", "life"] = setting(
        "slider",
        "Driven by",
        "The slider; the tint's alpha: opacity then wears it away instead of fading it; or the life of each particle.",
        choices={"slider": "Slider", "tint": "Tint's alpha", "life": "A particle's life"},
    )


class Tones(OmitDefaultsModel):
    """Two tones: one colour where a channel lies above a threshold, another where it lies below."""

    on: bool = setting(False, "Two tones", "One colour where a channel lies above a threshold, another below it.")
    lane: Lane = setting("alpha", "Channel", "Which channel decides.", choices=LANES)
    at: float = setting(0.5, "Threshold", "Where the one colour ends and the other begins, as a display value.", ge=0, le=1)
    soft: float = setting(0.05, "Band", "Width of the band between.", ge=0, le=1)
    above: Rgb = setting((1.0, 1.0, 1.0), "Above", "Colour where the channel is above.", widget="colour")
    below: Rgb = setting((0.2, 0.2, 0.2), "Below", "Colour where the channel is below.", widget="colour")


class Recolour(OmitDefaultsModel):
    """Each channel of the picture in a colour of its own, added up."""

    on: bool = setting(False, "Recolour", "Each channel of the picture gets a colour of its own; they are added up.")
    red: Rgb = setting((1.0, 0.0, 0.0), "Red as", "Colour of the red channel.", widget="colour")
    green: Rgb = setting((0.0, 1.0, 0.0), "Green as", "Colour of the green channel.", widget="colour")
    blue: Rgb = setting((0.0, 0.0, 1.0), "Blue as", "Colour of the blue channel.", widget="colour")


class UvScroll(OmitDefaultsModel):
    """A noise scrolls over the surface and bends where the picture is read."""

    strength: float = setting(
        0.0, "Flow", "How far a scrolling noise bends the picture, as a share of it; 0: not.", ge=0, le=1, drag=(0, 0.3)
    )
    scale: float = setting(
        4.0, "Features", "How often the noise goes into the picture.", unit="×", ge=0.1, le=64, drag=(1, 16)
    )
    right: float = setting(
        0.0, "Speed right", "Features a second that the noise scrolls to the right.", ge=-16, le=16, drag=(-4, 4)
    )
    up: float = setting(1.0, "Speed up", "Features a second that the noise scrolls upwards.", ge=-16, le=16, drag=(-4, 4))
    time: float = setting(0.0, "Moment", "Second of the movement that is shown.", unit="s", ge=0, le=3600, drag=(0, 10))
    hold: Literal["none", "top", "bottom"] = setting(
        "none",
        "Fixed edge",
        "An edge where nothing is bent: a flame stays on its nozzle.",
        choices={"none": "Nothing", "top": "Top", "bottom": "Bottom"},
    )
    varied: bool = setting(True, "Each its own", "Every placement has a noise of its own.")


class Halo(OmitDefaultsModel):
    """Light taken from a channel of the picture, in a colour, added."""

    strength: float = setting(
        0.0, "Halo", "Light from a channel of the picture, added; 0: none.", unit="×", ge=0, le=64, drag=(0, 4)
    )
    lane: Lane = setting("alpha", "Channel", "Which channel glows.", choices=LANES)
    colour: Rgb = setting((1.0, 0.8, 0.5), "Halo colour", "Colour of that light.", widget="colour")


class Glass(OmitDefaultsModel):
    """What glass does towards its edges (Schlick 1994)."""

    on: bool = setting(False, "Glass", "Its edges cover more and mirror more than its face, by the angle of view.")
    index: float = setting(1.52, "Index", "Index of refraction: window glass 1.52, water 1.33.", ge=1, le=3, drag=(1, 2.4))
    edge_index: float = setting(
        1.52, "Index at the edge", "Index of refraction where it is seen at a grazing angle.", ge=1, le=3, drag=(1, 2.4)
    )
    edge_opacity: float = setting(1.0, "Edge opacity", "Opacity at a grazing angle; the face keeps its own.", ge=0, le=1)
    edge_colour: Rgb = setting((0.75, 0.85, 0.82), "Edge colour", "Colour at a grazing angle.", widget="colour")
    thickness: float = setting(
        0.0,
        "Thickness",
        "How far light goes through it, bent, before it sees what lies behind; 0: straight on.",
        unit="m",
        ge=0,
        le=4,
        drag=(0, 0.5),
    )
    body: Literal["thin", "solid"] = setting(
        "thin",
        "Body",
        "A thin pane has two faces and lets light go on as it came; in a solid body it stays bent.",
        choices={"thin": "Thin pane", "solid": "Solid body"},
    )
    frost: float = setting(0.0, "Frosted", "Blurs what lies behind, by its roughness.", ge=0, le=1)
    edge_share: float = setting(0.0, "Edge coloured", "How far the edge takes that colour.", ge=0, le=1)

    @property
    def reads(self) -> bool:
        """Whether refraction or frost make the glass read the picture drawn behind it."""
        return self.on and (self.thickness > 0 or self.frost > 0)


class Contact(OmitDefaultsModel):
    """A see-through thing fades where it comes near to what is solid behind it."""

    distance: float = setting(
        0.0,
        "Contact fade",
        "Fades over this distance before it meets something solid: no hard line where smoke meets the floor; 0: not.",
        unit="m",
        ge=0,
        le=20,
        drag=(0, 1),
    )


class Breakup(OmitDefaultsModel):
    """A noise, or a picture, eats into it: worn paint, a torn stencil, a volume of which slices are seen."""

    amount: float = setting(
        0.0,
        "Break-up",
        "How much of it a noise or a picture eats away: all that lies below this; 0: nothing, 1: all.",
        ge=0,
        le=1,
    )
    mask: Channel = Field(
        default_factory=lambda: Channel(source="number"),
        title="Break-up mask",
        description="A channel of any picture or overlay, its dark parts first; a number: a noise.",
    )
    scale: float = setting(
        6.0, "Features", "How often the noise goes into the picture.", unit="×", ge=0.5, le=128, drag=(2, 32)
    )
    soft: float = setting(0.1, "Edge", "Width of the edges that it eats.", ge=0.001, le=1)
    seed: int = setting(1, "Seed", "Another number, another noise.", ge=0, le=99999, drag=(0, 100))


class OnSurface(OmitDefaultsModel):
    """What a decal changes of the surface that it lies on, each by its weight times alpha."""

    colour: float = setting(1.0, "Colour of it", "How far the surface takes the decal's colour.", ge=0, le=1)
    gloss: float = setting(1.0, "Gloss of it", "How far the surface takes the decal's roughness and metal.", ge=0, le=1)
    bumps: float = setting(1.0, "Bumps of it", "How far the surface takes the decal's normals.", ge=0, le=1)
    glow: float = setting(1.0, "Glow of it", "How much of the decal's own light the surface gives off.", ge=0, le=1)
    relief: float = setting(
        0.0, "Raised", "Its alpha stands out of the surface, or lies sunk in it below 0.", ge=-4, le=4, drag=(-1, 1)
    )


class Dither(OmitDefaultsModel):
    """Where the dots of Dithered come from."""

    by: Literal["matrix", "surface"] = setting(
        "matrix",
        "Dots",
        "An ordered matrix on the screen, or a hash anchored to the surface, which stays with it.",
        choices={"matrix": "Screen matrix", "surface": "Surface hash"},
    )

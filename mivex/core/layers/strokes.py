"""Strokes as they are kept: points, a tip, and what is painted; re-rendered at any size."""

from typing import Annotated, Any, ClassVar, Literal

from pydantic import AfterValidator, Field

from mivex.core.base.settings import OmitDefaultsModel, Rgb, setting
from mivex.core.layers.patterns import AnyPattern

Point = tuple[float, float, float]
"""Across and down as shares of the canvas, and pressure from 0 to 1."""


SurfacePoint = tuple[float, float, float, float, float, float, float]
"""A place on a mesh and the direction that its surface faces there, in the mesh's own space, and pressure from 0 to 1."""


def _there(points: tuple[SurfacePoint, ...]) -> tuple[SurfacePoint, ...]:
    if not all(all(abs(v) <= 1e6 for v in p[:6]) and 0 <= p[6] <= 1 for p in points):
        raise ValueError("a point of a stroke lies nowhere")
    return points


def _sane(points: tuple[Point, ...]) -> tuple[Point, ...]:
    if not all(abs(x) <= 64 and abs(y) <= 64 and 0 <= p <= 1 for x, y, p in points):
        raise ValueError("a point of a stroke lies nowhere")
    return points


DABBED = ("hard", "soft", "bristle", "charcoal", "splatter", "stamp")
"""Tips that are laid down dab by dab."""


class Tip(OmitDefaultsModel):
    """What a stroke is drawn with."""

    WHEN: ClassVar[dict[str, tuple[str, tuple[Any, ...]]]] = {
        "stamp": ("form", ("stamp",)),
        "lies": ("form", ("pattern",)),
        "repeat": ("form", ("pattern",)),
        "flipped": ("form", ("pattern",)),
        "spacing": ("form", DABBED),
        "turn": ("form", DABBED),
        "scatter": ("form", DABBED),
        "build_up": ("form", DABBED),
    }

    form: Literal["hard", "soft", "bristle", "charcoal", "splatter", "stamp", "pattern"] = setting(
        "soft",
        "Tip",
        "What it is drawn with.",
        choices={
            "hard": "Hard",
            "soft": "Soft",
            "bristle": "Bristles",
            "charcoal": "Charcoal",
            "splatter": "Splatter",
            "stamp": "A picture",
            "pattern": "A pattern along the line",
        },
    )
    pattern: AnyPattern | None = Field(None, description="What follows the line; none: a weld.")
    lies: Literal["along", "hangs"] = setting(
        "along",
        "Lies",
        "Across the line wherever it goes, or straight down from it, as what hangs or runs does.",
        choices={"along": "Along the line", "hangs": "Hanging down"},
    )
    repeat: float = setting(
        2.0,
        "Repeats after",
        "How long one tile of the pattern is, against the size.",
        unit="×",
        ge=0.05,
        le=64,
        drag=(0.5, 8),
    )
    flipped: bool = setting(False, "Turned over", "What lies right of the line comes to lie left of it.")
    stamp: str = setting("", "Stamp", "A picture; its luminance times its alpha is the tip.", widget="file")
    size: float = setting(
        0.06, "Size", "Across, as a share of the shorter side.", ge=0.001, le=2, drag=(0.005, 0.4), log=True
    )
    spacing: float = setting(0.15, "Spacing", "Between dabs, against the size.", ge=0.02, le=8, drag=(0.05, 2), log=True)
    turn: Literal["fixed", "random", "along"] = setting(
        "fixed",
        "Turned",
        "Whether dabs keep their turn, differ, or follow the stroke.",
        choices={"fixed": "Kept", "random": "At random", "along": "Along the stroke"},
    )
    scatter: float = setting(0.0, "Scatter", "How far dabs stray, against the size.", ge=0, le=8, drag=(0, 2))
    flow: float = setting(1.0, "Flow", "How much one dab leaves.", ge=0.01, le=1)
    strength: float = setting(1.0, "Strength", "The most that a stroke can leave.", ge=0, le=1)
    build_up: bool = setting(False, "Builds up", "Dabs of one stroke add up to more than its flow.")
    presses: Literal["size", "flow", "both", "nothing"] = setting(
        "size",
        "Pressure",
        "What pressing harder does.",
        choices={"size": "Size", "flow": "Flow", "both": "Size and flow", "nothing": "Nothing"},
    )


class PaintStroke(OmitDefaultsModel):
    """One stroke."""

    does: Literal["paint", "clear", "soften", "smudge"] = "paint"
    area: bool = Field(False, description="The points are the corners of an area that is filled.")
    points: Annotated[tuple[Point, ...], AfterValidator(_sane)] = ()
    smooth: bool = Field(False, description="A smooth line goes through the points; otherwise straight ones.")
    values: dict[str, float | Rgb] = Field(default_factory=dict, description="By channel; of a mask, by “mask”.")
    join: Literal["towards", "add"] = Field("towards", description="Added: light is added, what is there stays.")
    tip: Tip = Field(default_factory=Tip)
    seed: int = Field(0, ge=0, le=2**31)
    wrap: bool = Field(False, description="Goes on at the other side.")
    mirror: bool = Field(False, description="Painted on the other half as well.")
    faces: str = Field("", description="It stays on these triangles of the mesh.")
    surface: Annotated[tuple[SurfacePoint, ...], AfterValidator(_there)] = Field(
        (), description="Painted on the surface of the mesh: places there instead of points of the picture."
    )
    across: float = Field(0.0, ge=0, le=1e6, description="The tip's size on the surface, in units of the mesh.")

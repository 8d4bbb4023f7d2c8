"""Masks placed in the picture: fall-offs with handles, and soft brush strokes. Shared by several steps."""

import math
from typing import Literal

import numpy as np
from pydantic import BaseModel, ConfigDict, Field

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.settings import setting
from mivex.core.base.types import Floats
from mivex.core.prepare.base import StepParams, Surface

_kernels = Lazy("mivex.core.prepare.kernels.falloff")

Shape = Literal["radial", "linear", "box"]
SHAPE_WORDS = {"radial": "Radial", "linear": "Linear", "box": "Box"}
_CODE = {"radial": 0, "linear": 1, "box": 2}


class FallOffFields(StepParams):
    """Where a fall-off lies; its handles stand in the flat proof.

    Lengths are shares of the picture's shorter side, so that they mean the same
    at every size. The centre counts from the pivot.
    """

    shape: Shape = setting(
        "radial",
        "Form",
        "Radial falls off round a point, linear across a line, box towards the sides of a rectangle.",
        choices=SHAPE_WORDS,
    )
    x: float = setting(
        0.0,
        "Across",
        "Moves it right of the pivot, as a share of the picture's width.",
        ge=-2,
        le=2,
        drag=(-0.5, 0.5),
        widget="handle",
    )
    y: float = setting(
        0.0,
        "Down",
        "Moves it below the pivot, as a share of the picture's height.",
        ge=-2,
        le=2,
        drag=(-0.5, 0.5),
        widget="handle",
    )
    radius: float = setting(
        0.5,
        "Radius",
        "From its middle to where it ends, as a share of the shorter side.",
        ge=0.001,
        le=4,
        drag=(0.02, 1),
        widget="handle",
    )
    stretch: float = setting(1.0, "Stretch", "How much wider than high it is.", ge=0.02, le=50, drag=(0.2, 5), log=True)
    angle: float = setting(0.0, "Angle", "Turns it.", unit="°", ge=-360, le=360, drag=(-180, 180))
    soft: float = setting(1.0, "Softness", "Share of the radius over which it falls; 0 is a hard edge.", ge=0, le=1)
    profile: Literal["smooth", "straight"] = setting(
        "smooth",
        "Profile",
        "Smooth eases in and out; straight falls evenly.",
        choices={"smooth": "Smooth", "straight": "Straight"},
    )


def fall_off(p: FallOffFields, surface: Surface) -> Floats:
    """The mask of a fall-off: 1 in its middle, 0 from its radius on; ``(height, width)`` float32.

    Linear: 1 on the upper side, 0 on the lower, ``radius`` on either side of the
    middle; softness 1 uses all of that.
    """
    h, w = surface.alpha.shape
    a = math.radians(p.angle)
    f = np.float32
    out: Floats = np.empty((h, w), np.float32)
    cy, cx = (surface.pivot[1] + p.y) * h, (surface.pivot[0] + p.x) * w
    run_bands(
        h,
        lambda i, j: _kernels.mask_rows(
            f(cy),
            f(cx),
            f(p.radius * min(h, w)),
            f(p.stretch),
            f(math.cos(a)),
            f(math.sin(a)),
            f(p.soft),
            _CODE[p.shape],
            p.profile == "smooth",
            out,
            i,
            j,
        ),
    )
    return out


class Stroke(BaseModel):
    """One stroke of the soft brush, in shares of the picture so that any size looks alike."""

    model_config = ConfigDict(frozen=True, defer_build=True, extra="allow", allow_inf_nan=False)

    points: tuple[tuple[float, float], ...] = Field((), description="x, y as shares of width and height.")
    radius: float = Field(0.06, gt=0, le=2, description="As a share of the shorter side.")
    erase: bool = Field(False, description="Takes away from the strokes before it.")


def brushed(strokes: tuple[Stroke, ...], height: int, width: int) -> Floats:
    """The mask that soft strokes leave: full on their middle line, 0 at their radius; (height, width)."""
    mask: Floats = np.zeros((height, width), np.float32)
    for s in strokes:
        if s.points:
            at = np.array(s.points, np.float32)
            _kernels.stroke_kernel(
                mask,
                at[:, 1] * np.float32(height),
                at[:, 0] * np.float32(width),
                np.float32(s.radius * min(height, width)),
                s.erase,
            )
    return mask

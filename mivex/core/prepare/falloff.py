"""Masks placed in the picture: fall-offs with handles, and soft brush strokes. Shared by several steps."""

import math
from typing import Literal

import numba as nb
import numpy as np
from pydantic import BaseModel, ConfigDict, Field

from mivex.core.bands import run_bands
from mivex.core.prepare.base import StepParams, Surface, setting
from mivex.core.types import Floats

Shape = Literal["radial", "linear", "box"]
SHAPE_WORDS = {"radial": "Radial", "linear": "Linear", "box": "Box"}
_CODE = {"radial": 0, "linear": 1, "box": 2}


class FallOffFields(StepParams):
    """Where a fall-off lies; its handles stand in the flat proof.

    Lengths are shares of the picture's shorter side, so that they mean the same
    at every size. The centre counts from the pivot.
    """

    shape: Shape = setting("radial", "Form", "Radial falls off round a point, linear across a line, box towards the "
                           "sides of a rectangle.", choices=SHAPE_WORDS)
    x: float = setting(0.0, "Across", "Moves it right of the pivot, as a share of the picture's width.", ge=-2, le=2,
                       drag=(-0.5, 0.5), widget="handle")
    y: float = setting(0.0, "Down", "Moves it below the pivot, as a share of the picture's height.", ge=-2, le=2,
                       drag=(-0.5, 0.5), widget="handle")
    radius: float = setting(0.5, "Radius", "From its middle to where it ends, as a share of the shorter side.",
                            ge=0.001, le=4, drag=(0.02, 1), widget="handle")
    stretch: float = setting(1.0, "Stretch", "How much wider than high it is.", ge=0.02, le=50, drag=(0.2, 5), log=True)
    angle: float = setting(0.0, "Angle", "Turns it.", unit="°", ge=-360, le=360, drag=(-180, 180))
    soft: float = setting(1.0, "Softness", "Share of the radius over which it falls; 0 is a hard edge.", ge=0, le=1)
    profile: Literal["smooth", "straight"] = setting(
        "smooth", "Profile", "Smooth eases in and out; straight falls evenly.",
        choices={"smooth": "Smooth", "straight": "Straight"})


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _mask_rows(cy, cx, radius, stretch, cos, sin, soft, code, smooth, out, first, last):  # type: ignore[no-untyped-def]
    one, zero, half = np.float32(1), np.float32(0), np.float32(0.5)
    # A hard edge still covers its texels by share, half a texel on either side; a soft one lies within.
    band = max(soft * radius, one)
    out_by = half * max(one - soft * radius, zero)
    for y in range(first, last):
        for x in range(out.shape[1]):
            dx, dy = np.float32(x) + half - cx, np.float32(y) + half - cy
            u, v = (dx * cos + dy * sin) / stretch, dy * cos - dx * sin
            if code == 0:
                d = np.sqrt(u * u + v * v)
            elif code == 1:
                d = v + radius
                # Full above the line, none a radius below its middle.
                d = d * half
            else:
                d = max(abs(u), abs(v))
            t = min(max((radius - d) / band + out_by, zero), one)
            out[y, x] = t * t * (np.float32(3) - t - t) if smooth else t


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
    run_bands(h, lambda i, j: _mask_rows(f(cy), f(cx), f(p.radius * min(h, w)), f(p.stretch), f(math.cos(a)),
                                         f(math.sin(a)), f(p.soft), _CODE[p.shape], p.profile == "smooth", out, i, j))
    return out


class Stroke(BaseModel):
    """One stroke of the soft brush, in shares of the picture so that any size looks alike."""

    model_config = ConfigDict(frozen=True, extra="allow", allow_inf_nan=False)

    points: tuple[tuple[float, float], ...] = Field((), description="x, y as shares of width and height.")
    radius: float = Field(0.06, gt=0, le=2, description="As a share of the shorter side.")
    erase: bool = Field(False, description="Takes away from the strokes before it.")


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _stroke(mask, ys, xs, r, erase):  # type: ignore[no-untyped-def]
    h, w = mask.shape
    y0, y1 = max(0, int(ys.min() - r)), min(h, int(ys.max() + r) + 2)
    x0, x1 = max(0, int(xs.min() - r)), min(w, int(xs.max() + r) + 2)
    near = np.full((max(y1 - y0, 0), max(x1 - x0, 0)), np.float32(1e12), np.float32)
    for k in range(max(1, ys.size - 1)):
        m = min(k + 1, ys.size - 1)
        ey, ex = ys[m] - ys[k], xs[m] - xs[k]
        long = ey * ey + ex * ex
        for y in range(max(y0, int(min(ys[k], ys[m]) - r)), min(y1, int(max(ys[k], ys[m]) + r) + 2)):
            for x in range(max(x0, int(min(xs[k], xs[m]) - r)), min(x1, int(max(xs[k], xs[m]) + r) + 2)):
                dy, dx = np.float32(y) + np.float32(0.5) - ys[k], np.float32(x) + np.float32(0.5) - xs[k]
                t = np.float32(0)
                if long > 0:
                    t = min(max((dy * ey + dx * ex) / long, np.float32(0)), np.float32(1))
                dy, dx = dy - t * ey, dx - t * ex
                near[y - y0, x - x0] = min(near[y - y0, x - x0], dy * dy + dx * dx)
    for y in range(y0, y1):
        for x in range(x0, x1):
            t = max(np.float32(1) - np.sqrt(near[y - y0, x - x0]) / r, np.float32(0))
            t = t * t * (np.float32(3) - t - t)
            if erase:
                mask[y, x] *= np.float32(1) - t
            else:
                mask[y, x] = max(mask[y, x], t)


def brushed(strokes: tuple[Stroke, ...], height: int, width: int) -> Floats:
    """The mask that soft strokes leave: full on their middle line, 0 at their radius; (height, width)."""
    mask: Floats = np.zeros((height, width), np.float32)
    for s in strokes:
        if s.points:
            at = np.array(s.points, np.float32)
            _stroke(mask, at[:, 1] * np.float32(height), at[:, 0] * np.float32(width),
                    np.float32(s.radius * min(height, width)), s.erase)
    return mask

"""Steps ``grow`` and ``feather``: move the outline, soften it; both by Euclidean distance, finer than a texel."""

from typing import Literal

import numba as nb
import numpy as np

from mivex.core.bands import run_bands
from mivex.core.image.outline import trace
from mivex.core.prepare.base import Context, Step, StepParams, Surface, setting
from mivex.core.types import Floats


class Grow(StepParams):
    """Settings of ``grow``."""

    step: Literal["grow"] = "grow"
    by: float = setting(2.0, "By", "Moves the outline out; below zero, in. The softness of the edge goes along.",
                        unit="px", ge=-256, le=256, drag=(-32, 32))


class Feather(StepParams):
    """Settings of ``feather``."""

    step: Literal["feather"] = "feather"
    width: float = setting(8.0, "Width", "How wide the new soft band is, measured from the outline.", unit="px",
                           ge=0, le=512, drag=(0, 64))
    side: Literal["inside", "outside", "both"] = setting(
        "inside", "Side", "Inside thins the shape, outside adds a halo round it.",
        choices={"inside": "Inside", "outside": "Outside", "both": "Both"})
    profile: Literal["smooth", "straight"] = setting(
        "smooth", "Profile", "Smooth eases in and out; straight falls evenly.",
        choices={"smooth": "Smooth", "straight": "Straight"})


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _read(alpha, y, x):  # type: ignore[no-untyped-def]
    """Bilinear at texel centres, held at the border."""
    h, w = alpha.shape
    y, x = min(max(y, np.float32(0)), np.float32(h - 1)), min(max(x, np.float32(0)), np.float32(w - 1))
    j, i = int(y), int(x)
    fy, fx = y - np.float32(j), x - np.float32(i)
    j1, i1 = min(j + 1, h - 1), min(i + 1, w - 1)
    top = alpha[j, i] + (alpha[j, i1] - alpha[j, i]) * fx
    low = alpha[j1, i] + (alpha[j1, i1] - alpha[j1, i]) * fx
    return top + (low - top) * fy


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _grow_rows(alpha, distance, inward, by, reach, out, first, last):  # type: ignore[no-untyped-def]
    amount = abs(by)
    steps = max(1, int(np.ceil(amount)))
    for y in range(first, last):
        for x in range(alpha.shape[1]):
            a = alpha[y, x]
            d = distance[y, x]
            # Too far from the outline for anything to arrive here.
            if (by > 0 and (a >= 1 or d > amount + reach)) or (by < 0 and (a <= 0 or d < -amount - reach)):
                out[y, x] = a
                continue
            gy, gx = inward[y, x, 0], inward[y, x, 1]
            # The far end first: it mostly decides.
            for k in range(steps, 0, -1):
                t = by * np.float32(k) / np.float32(steps)
                v = _read(alpha, np.float32(y) + gy * t, np.float32(x) + gx * t)
                a = max(a, v) if by > 0 else min(a, v)
                if (by > 0 and a >= 1) or (by < 0 and a <= 0):
                    break
            out[y, x] = a


def grown(alpha: Floats, by: float) -> Floats:
    """Alpha whose outline lies ``by`` texels farther out (in, below zero).

    Every texel takes the largest (smallest) alpha met on the way of that length
    straight across the outline: dilation and erosion by a disc, without its cost.

    Parameters
    ----------
    alpha : float32 array (height, width)
    by : float
        Texels.
    """
    if by == 0:
        return alpha
    outline = trace(alpha, abs(by) + 1, soft=True)
    if outline.reach < 1.5 and float(alpha.max()) >= 0.999:
        # A crisp edge, one texel of coverage: drawn anew where it now lies, not smeared by reading between texels.
        return np.clip(np.float32(0.5) - (outline.distance - np.float32(by)), 0, 1)
    src, out = np.ascontiguousarray(alpha, np.float32), np.empty(alpha.shape, np.float32)
    run_bands(alpha.shape[0], lambda a, b: _grow_rows(src, outline.distance, outline.inward, np.float32(by),
                                                      np.float32(outline.reach + 1), out, a, b), per_worker=8)
    return out


def run_grow(surface: Surface, params: Grow, context: Context) -> Surface:
    """Move the outline; 0 changes nothing."""
    by = params.by * surface.scale
    return surface.with_alpha(grown(surface.alpha, by)) if by else surface


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _feather_rows(alpha, distance, inward, width, side, smooth, out, first, last):  # type: ignore[no-untyped-def]
    one, zero = np.float32(1), np.float32(0)
    for y in range(first, last):
        for x in range(alpha.shape[1]):
            d, a = distance[y, x], alpha[y, x]
            t = -d / width if side == 0 else (one - d / width if side == 1 else np.float32(0.5) - d / (width + width))
            t = min(max(t, zero), one)
            if smooth:
                t = t * t * (np.float32(3) - t - t)
            if side == 0:
                out[y, x] = min(a, t) if t < one else a
                continue
            # What the shape holds just inside the outline is what fades out beyond it.
            reach = max(d, zero) + np.float32(1.5)
            body = _read(alpha, np.float32(y) + inward[y, x, 0] * reach, np.float32(x) + inward[y, x, 1] * reach)
            if d <= zero:
                body = max(body, a)
            out[y, x] = max(a, body * t) if side == 1 or d <= -width else body * t


def run_feather(surface: Surface, params: Feather, context: Context) -> Surface:
    """Lay a soft band along the outline; width 0 changes nothing."""
    width = params.width * surface.scale
    if width == 0:
        return surface
    outline = trace(surface.alpha, width + 2)
    src = np.ascontiguousarray(surface.alpha)
    out: Floats = np.empty(src.shape, np.float32)
    side = {"inside": 0, "outside": 1, "both": 2}[params.side]
    run_bands(out.shape[0], lambda a, b: _feather_rows(src, outline.distance, outline.inward, np.float32(width), side,
                                                       params.profile == "smooth", out, a, b))
    return surface.with_alpha(out)


STEPS = (
    Step(Grow, run_grow, "Grow or shrink", "Moves the outline outwards or inwards by an exact distance.", "alpha"),
    Step(Feather, run_feather, "Feather", "Softens the outline over a band of an exact width.", "alpha"),
)

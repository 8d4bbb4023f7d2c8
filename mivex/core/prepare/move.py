"""Steps that move the picture or change its frame: ``offset``, ``centre``, ``trim``, ``pad``; the pivot goes along."""

import math
from typing import ClassVar, Literal

import numpy as np

from mivex.core.base.limits import check_size
from mivex.core.base.settings import setting
from mivex.core.base.types import Floats
from mivex.core.prepare.base import Context, Step, StepParams, Surface
from mivex.core.prepare.weighing import premultiply, unpremultiply


class Offset(StepParams):
    """Settings of ``offset``."""

    step: Literal["offset"] = "offset"
    x: int = setting(0, "Right", "Whole texels to the right.", unit="px", ge=-16384, le=16384, drag=(-256, 256))
    y: int = setting(0, "Down", "Whole texels down.", unit="px", ge=-16384, le=16384, drag=(-256, 256))
    border: Literal["wrap", "clear", "clamp"] = setting(
        "wrap",
        "What comes in",
        "Wrap brings in the other side, clear leaves nothing, hold draws the border out.",
        choices={"wrap": "The other side", "clear": "Nothing", "clamp": "The border, drawn out"},
    )


class Centre(StepParams):
    """Settings of ``centre``."""

    step: Literal["centre"] = "centre"
    find: Literal["centroid", "box"] = setting(
        "centroid",
        "Middle is",
        "The centre of gravity of the alpha, or the middle of the box round it.",
        choices={"centroid": "Centre of gravity", "box": "Middle of its box"},
    )
    do: Literal["move", "pivot"] = setting(
        "move",
        "Action",
        "Move shifts the picture by whole texels; pivot leaves it and places it by that point.",
        choices={"move": "Move the picture", "pivot": "Set the pivot there"},
    )


class Trim(StepParams):
    """Settings of ``trim``."""

    step: Literal["trim"] = "trim"
    above: float = setting(0.0, "Keep above", "Texels with more alpha than this must stay in the picture.", ge=0, le=1)
    margin: int = setting(2, "Margin", "Clear texels that stay round them.", unit="px", ge=0, le=4096, drag=(0, 64))
    square: bool = setting(False, "Square", "Cuts to a square round the same middle.")


class Pad(StepParams):
    """Settings of ``pad``."""

    WHEN: ClassVar = {side: ("to", ("sides",)) for side in ("left", "right", "top", "bottom")}

    step: Literal["pad"] = "pad"
    to: Literal["sides", "square", "power"] = setting(
        "sides",
        "Pad to",
        "Adds clear texels by side, or evenly up to a square or to powers of two.",
        choices={"sides": "A margin on each side", "square": "A square", "power": "Next powers of two"},
    )
    left: int = setting(8, "Left", "Texels added.", unit="px", ge=0, le=8192, drag=(0, 256))
    right: int = setting(8, "Right", "Texels added.", unit="px", ge=0, le=8192, drag=(0, 256))
    top: int = setting(8, "Top", "Texels added.", unit="px", ge=0, le=8192, drag=(0, 256))
    bottom: int = setting(8, "Bottom", "Texels added.", unit="px", ge=0, le=8192, drag=(0, 256))


def shifted(values: Floats, dx: int, dy: int, border: str) -> Floats:
    """Move texels by whole steps; ``border`` says what comes in: wrap, clear (colour held) or clamp."""
    if border == "wrap":
        return np.roll(values, (dy, dx), (0, 1))
    h, w = values.shape[:2]
    rows, cols = np.arange(h) - dy, np.arange(w) - dx
    out = values[np.clip(rows, 0, h - 1)[:, None], np.clip(cols, 0, w - 1)[None, :]]
    if border == "clear":
        out[(rows < 0) | (rows >= h), :, 3] = 0
        out[:, (cols < 0) | (cols >= w), 3] = 0
    return out


def placed(surface: Surface, dx: float, dy: float, border: str) -> Floats:
    """Move texels of a proxy, fractions included, so that it lies where the full picture will lie.

    At full size steps move by whole texels and nothing is filtered.
    """
    whole_x, whole_y = math.floor(dx + 1e-6), math.floor(dy + 1e-6)
    fx, fy = max(0.0, dx - whole_x), max(0.0, dy - whole_y)
    values = surface.values
    if whole_x or whole_y:
        values = shifted(values, whole_x, whole_y, border)
    if max(fx, fy) < 1e-3:
        return values
    sums = premultiply(values, surface.traits)
    for axis, f in ((0, np.float32(fy)), (1, np.float32(fx))):
        if f >= 1e-3:
            sums = sums + (shifted(sums, axis == 1, axis == 0, border) - sums) * f
    return unpremultiply(sums, values, surface.data)


def reframed(surface: Surface, left: int, top: int, right: int, bottom: int) -> Surface:
    """Add full texels on each side (take away, below zero): clear, with the border's colour.

    The pivot keeps its place, and what is seen its size. Raises MivexError beyond the size limit.
    """
    full_w, full_h = surface.full_size
    to = (full_w + left + right, full_h + top + bottom)
    check_size(*to, "The picture with its new frame")
    pivot = ((surface.pivot[0] * full_w + left) / to[0], (surface.pivot[1] * full_h + top) / to[1])
    extent = (surface.extent[0] * to[0] / full_w, surface.extent[1] * to[1] / full_h)
    h, w = surface.alpha.shape
    s = surface.scale
    x, y = left * s, top * s  # where the old picture's corner comes to lie
    new_w, new_h = (max(1, round(to[0] * s)), max(1, round(to[1] * s))) if s < 1 else to
    rows, cols = np.arange(new_h) - math.floor(y + 1e-6), np.arange(new_w) - math.floor(x + 1e-6)
    out = surface.values[np.clip(rows, 0, h - 1)[:, None], np.clip(cols, 0, w - 1)[None, :]]
    out[(rows < 0) | (rows >= h), :, 3] = 0
    out[:, (cols < 0) | (cols >= w), 3] = 0
    made = surface.but(values=out, pivot=pivot, extent=extent, has_alpha=True, full=to)
    rest = (x - math.floor(x + 1e-6), y - math.floor(y + 1e-6))
    return made.but(values=placed(made, *rest, "clear")) if s < 1 and max(rest) > 1e-3 else made


def box_of(alpha: Floats, above: float = 0.0) -> tuple[int, int, int, int] | None:
    """x0, y0, x1, y1 of the texels with more alpha than ``above``; None where there are none."""
    seen = alpha > np.float32(above)
    cols, rows = np.flatnonzero(seen.any(axis=0)), np.flatnonzero(seen.any(axis=1))
    if not cols.size:
        return None
    return int(cols[0]), int(rows[0]), int(cols[-1]) + 1, int(rows[-1]) + 1


def middle_of(alpha: Floats, find: str) -> tuple[float, float] | None:
    """Centroid of alpha, or middle of its box, as x, y in texels from the top left; None where all is clear."""
    if find == "box":
        box = box_of(alpha)
        return None if box is None else ((box[0] + box[2]) / 2, (box[1] + box[3]) / 2)
    h, w = alpha.shape
    across, down = alpha.sum(axis=0, dtype=np.float64), alpha.sum(axis=1, dtype=np.float64)
    total = across.sum()
    if total <= 0:
        return None
    return float(across @ (np.arange(w) + 0.5) / total), float(down @ (np.arange(h) + 0.5) / total)


def run_offset(surface: Surface, params: Offset, context: Context) -> Surface:
    """Shift by whole texels; 0, 0 changes nothing. The pivot does not move."""
    if not params.x and not params.y:
        return surface
    return surface.but(values=placed(surface, params.x * surface.scale, params.y * surface.scale, params.border))


def run_centre(surface: Surface, params: Centre, context: Context) -> Surface:
    """Bring the middle of the alpha to the middle of the picture, or the pivot to the middle of the alpha."""
    middle = middle_of(surface.alpha, params.find)
    if middle is None:
        return surface
    h, w = surface.alpha.shape
    if params.do == "pivot":
        return surface.but(pivot=(middle[0] / w, middle[1] / h))
    full_w, full_h = surface.full_size
    dx, dy = round(full_w * (0.5 - middle[0] / w)), round(full_h * (0.5 - middle[1] / h))
    moved = surface.but(pivot=(0.5, 0.5))
    return moved.but(values=placed(moved, dx * surface.scale, dy * surface.scale, "clear")) if dx or dy else moved


def run_trim(surface: Surface, params: Trim, context: Context) -> Surface:
    """Cut the picture to what is seen; a clear picture stays as it is."""
    box = box_of(surface.alpha, params.above)
    if box is None:
        return surface
    m, (w, h) = params.margin, surface.full_size
    kx, ky = w / surface.alpha.shape[1], h / surface.alpha.shape[0]
    x0, y0 = math.floor(box[0] * kx) - m, math.floor(box[1] * ky) - m
    x1, y1 = math.ceil(box[2] * kx) + m, math.ceil(box[3] * ky) + m
    if params.square:
        side = max(x1 - x0, y1 - y0)
        x0, y0 = x0 - (side - (x1 - x0)) // 2, y0 - (side - (y1 - y0)) // 2
        x1, y1 = x0 + side, y0 + side
    if (x0, y0, x1, y1) == (0, 0, w, h):
        return surface
    return reframed(surface, -x0, -y0, x1 - w, y1 - h)


def run_pad(surface: Surface, params: Pad, context: Context) -> Surface:
    """Add clear texels round the picture, coloured as its border."""
    full_w, full_h = surface.full_size
    if params.to == "sides":
        left, top, right, bottom = params.left, params.top, params.right, params.bottom
    else:
        if params.to == "square":
            to_w = to_h = max(full_w, full_h)
        else:
            to_w, to_h = 1 << (full_w - 1).bit_length(), 1 << (full_h - 1).bit_length()
        add_w, add_h = max(0, to_w - full_w), max(0, to_h - full_h)
        left, top = add_w // 2, add_h // 2
        right, bottom = add_w - left, add_h - top
    return reframed(surface, left, top, right, bottom) if left or top or right or bottom else surface


STEP = (
    Step(Offset, run_offset, "Offset", "Shifts the picture by whole texels, wrapping round or not.", "source", moves=True),
    Step(
        Centre,
        run_centre,
        "Centre",
        "Brings the shape to the middle, or sets the pivot it is placed by.",
        "edges",
        moves=True,
    ),
    Step(Trim, run_trim, "Trim", "Cuts away empty margins.", "edges", moves=True),
    Step(Pad, run_pad, "Pad", "Adds clear texels round the picture.", "edges", moves=True),
)

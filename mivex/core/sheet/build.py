"""Building a sheet from frames: every frame fitted into its cell, in its place, with its border carried outwards."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np

from mivex.core.base.errors import MivexError
from mivex.core.base.limits import check_size
from mivex.core.base.messages import Message
from mivex.core.base.types import Floats
from mivex.core.picture.picture import Picture, guess_meaning, looks_like_normals
from mivex.core.pixels.colour import to_display
from mivex.core.prepare.resample import associated, resized, straight
from mivex.core.sheet.model import MOST, Grid

Meaning = Literal["colour", "data", "normal"]
Fit = Literal["inside", "fill", "none"]
FITS: dict[str, str] = {"inside": "Whole frame inside", "fill": "Fills the cell", "none": "As large as it is"}
Align = Literal["frame", "centroid", "box", "foot"]
ALIGNS: dict[str, str] = {
    "frame": "The frames' middle",
    "centroid": "Centre of what is seen",
    "box": "Middle of its box",
    "foot": "Foot of its box",
}


@dataclass(frozen=True)
class Layout:
    """How frames are laid into a sheet.

    Attributes
    ----------
    cell : (width, height)
        Texels; 0: those of the largest frame.
    columns : int
        0: as near to a square as goes.
    gutter : int
        Texels between cells, filled from the cells' borders.
    fit : str
        See `FITS`; the same factor for every frame.
    align : str
        What of each frame comes to the same place of its cell; see `ALIGNS`.
    """

    cell: tuple[int, int] = (0, 0)
    columns: int = 0
    gutter: int = 0
    fit: Fit = "inside"
    align: Align = "frame"


def columns_for(count: int, cell: tuple[int, int]) -> int:
    """Columns that bring a sheet of so many cells nearest to a square."""
    # By the logarithm: twice as wide is as far from a square as half as wide. The fewer columns win where both are
    # alike.
    return min(range(1, count + 1), key=lambda c: (abs(math.log2(c * cell[0] / (math.ceil(count / c) * cell[1]))), c))


def _point(values: Floats, align: Align) -> tuple[float, float]:
    """The point of a frame, in texels from its top left, that comes to the middle of the cell (or its foot)."""
    h, w = values.shape[:2]
    a = values[..., 3].astype(np.float64)
    # Two hundredths: grain of a keyer must not move a frame.
    seen = a > 0.02
    if align == "frame" or not seen.any():
        return w / 2, h / 2 if align != "foot" else float(h)
    if align == "centroid":
        total = a.sum()
        return (
            float((a.sum(axis=0) * (np.arange(w) + 0.5)).sum() / total),
            float((a.sum(axis=1) * (np.arange(h) + 0.5)).sum() / total),
        )
    y, x = np.nonzero(seen)
    # The foot is the row below the lowest texel: frames stand on the same line whatever their height.
    return (x.min() + x.max() + 1) / 2, float(y.max() + 1) if align == "foot" else (y.min() + y.max() + 1) / 2


def _fitted(values: Floats, cell: tuple[int, int], scale: float, layout: Layout, meaning: Meaning) -> Floats:
    """A frame in its cell; moved by whole texels it keeps its own.

    Only a centre of what is seen is brought to its place more finely than by whole texels, and only where the frame is
    filtered anyway.
    """
    cw, ch = cell
    h, w = values.shape[:2]
    px, py = _point(values, layout.align)
    sw, sh = (w, h) if scale == 1 else (max(1, round(w * scale)), max(1, round(h * scale)))
    tx = cw / 2 - px * sw / w
    ty = (ch if layout.align == "foot" else ch / 2) - py * sh / h
    if layout.align != "centroid" or layout.fit == "none" or scale == 1:
        # Halves go down and to the right, so that frames of odd and even sides move alike.
        tx, ty = math.floor(tx + 0.5), math.floor(ty + 0.5)
    if (sw, sh) == (w, h):
        return _put(values, cell, round(tx), round(ty), meaning)
    plain = meaning != "colour"
    weighed = values if plain else associated(values)
    if meaning == "normal":
        weighed = np.concatenate([values[..., :3] * 2 - 1, values[..., 3:]], axis=2)
    small = resized(weighed, sw, sh)
    # Whole texels are moved without any filter; only what is left over is.
    whole = math.floor(tx), math.floor(ty)
    if (tx - whole[0], ty - whole[1]) != (0, 0):
        import cv2

        # One texel of nothing all round takes what is moved over the border.
        move = np.array([[1, 0, tx - whole[0]], [0, 1, ty - whole[1]]], np.float64)
        # Outside of a colour frame is nothing; data and normals have no "nothing", and go on as they end.
        edge = cv2.BORDER_REPLICATE if plain else cv2.BORDER_CONSTANT
        small = np.asarray(
            cv2.warpAffine(small, move, (sw + 1, sh + 1), flags=cv2.INTER_LINEAR, borderMode=edge), np.float32
        )
    if meaning == "normal":
        # Filtered normals are shorter than one: made unit vectors again, or their light would be too dark.
        length = np.linalg.norm(small[..., :3], axis=2, keepdims=True)
        small = np.concatenate([small[..., :3] / np.maximum(length, 1e-6) * 0.5 + 0.5, small[..., 3:]], axis=2)
    elif not plain:
        rgb, alpha = straight(small)
        small = np.concatenate([to_display(np.clip(rgb, 0, 1)), np.clip(alpha, 0, 1)[..., None]], axis=2)
    return _put(small.astype(np.float32), cell, *whole, meaning)


def _put(values: Floats, cell: tuple[int, int], x: int, y: int, meaning: Meaning) -> Floats:
    """A frame at a whole place of its cell; beyond it nothing is, or for normals a flat surface."""
    (cw, ch), (h, w) = cell, values.shape[:2]
    out = np.zeros((ch, cw, 4), np.float32)
    if meaning == "normal":
        out[:] = (0.5, 0.5, 1.0, 0.0)
    part = values[max(0, -y) : max(0, min(h, ch - y)), max(0, -x) : max(0, min(w, cw - x))]
    out[max(0, y) : max(0, y) + part.shape[0], max(0, x) : max(0, x) + part.shape[1]] = part
    return out


def build(frames: list[Floats], layout: Layout, *, meaning: Meaning = "colour") -> tuple[Floats, Grid]:
    """Lay frames into a sheet.

    Parameters
    ----------
    frames : list of float32 arrays (height, width, 4)
        Straight RGBA as stored, in their order; index 0 is the first.
    layout : Layout
    meaning : str
        ``colour``: filtered multiplied by alpha, in linear light; ``data``: as they stand; ``normal``: as directions.

    Returns
    -------
    (values, grid)
        The sheet (height, width, 4), and where its cells lie.

    Raises
    ------
    MivexError
        There are none or too many, or the sheet would be too large.
    """
    if not frames:
        raise MivexError("There are no frames to build a sheet from.")
    if len(frames) > MOST:
        raise MivexError(Message("{count} frames are more than a sheet may have ({most}).", count=len(frames), most=MOST))
    widest, highest = max(f.shape[1] for f in frames), max(f.shape[0] for f in frames)
    cell = (layout.cell[0] or widest, layout.cell[1] or highest)
    columns = min(layout.columns or columns_for(len(frames), cell), len(frames))
    rows = math.ceil(len(frames) / columns)
    g = layout.gutter
    # A gutter goes all round, so that the outermost cells are held like the others.
    w, h = columns * (cell[0] + g) + g if g else columns * cell[0], rows * (cell[1] + g) + g if g else rows * cell[1]
    check_size(w, h, "The sheet")
    if columns > 64 or rows > 64:
        raise MivexError(
            Message("{columns} × {rows} cells are more than 64 in a row or a column.", columns=columns, rows=rows)
        )
    # One scale for all frames, or they would pulse when they are played.
    ratio = [(cell[0] / f.shape[1], cell[1] / f.shape[0]) for f in frames]
    # "fill" takes the frame that needs most, so that no cell shows its ground.
    scale = {"none": 1.0, "inside": min(min(r) for r in ratio), "fill": max(min(max(r) for r in ratio), 1e-6)}[layout.fit]
    out = np.zeros((h, w, 4), np.float32)
    for k, frame in enumerate(frames):
        made = _fitted(frame, cell, scale, layout, meaning)
        x, y = g + (k % columns) * (cell[0] + g), g + (k // columns) * (cell[1] + g)
        if g:
            # Each cell fills its half of the gutter with what its border holds; the rim takes all of it.
            left, top = (g if x == g else g // 2), (g if y == g else g // 2)
            right = g if k % columns == columns - 1 else g - g // 2
            low = g if k // columns == rows - 1 else g - g // 2
            made = np.pad(made, ((top, low), (left, right), (0, 0)), mode="edge")
            out[y - top : y + cell[1] + low, x - left : x + cell[0] + right] = made
        else:
            out[y : y + cell[1], x : x + cell[0]] = made
    used = len(frames)
    return out, Grid(
        columns=columns,
        rows=rows,
        left=float(g),
        top=float(g),
        width=float(cell[0]),
        height=float(cell[1]),
        gutter=float(g),
        count=0 if used == columns * rows else used,
    )


def meaning_of(pictures: Sequence[Picture]) -> Meaning:
    """What pictures that become frames hold: data only where each of them is taken for data."""
    if not pictures or any(guess_meaning(p)[0] != "data" for p in pictures):
        return "colour"
    return "normal" if all(looks_like_normals(p.values) for p in pictures) else "data"

"""Sheets of a delivery: where frames lie, how they play, what they are moved along; and the checks that all files go by."""

from collections.abc import Mapping
from pathlib import Path
from typing import Any

import numpy as np

from mivex.core.base.kept import memoized_on
from mivex.core.picture.files import read_picture
from mivex.core.picture.texture import Texture
from mivex.core.sheet.flow import VectorPicture, vectors_key
from mivex.core.sheet.hull import Hull, area_of
from mivex.core.sheet.model import Sheet


def numbers_of(values: Any, count: int, low: float, high: float) -> tuple[float, ...]:
    """So many numbers of a range; raises ValueError, also for what is no number."""
    made = tuple(float(v) for v in values)
    if len(made) != count or not all(low <= v <= high for v in made):
        raise ValueError
    return made


def inside_name(name: Any) -> str:
    """The name of a file beside the list; raises ValueError where it leads elsewhere."""
    if not isinstance(name, str) or Path(name).name != name or not name:
        raise ValueError
    return name


def cells_of(tree: Mapping[str, Any]) -> tuple[tuple[float, float, float, float], ...]:
    """Where the frames of a sheet lie, in shares of the picture; raises ValueError."""
    t = tree["texture"]
    w, h = numbers_of((t["width"], t["height"]), 2, 1, 1 << 14)
    made = []
    for f in tree.get("sheet", {}).get("frames", ()):
        x, y, wide, high = (float(f[k]) for k in ("x", "y", "width", "height"))
        numbers_of((x, y, w - x - wide, h - y - high), 4, 0.0, 1 << 14)
        numbers_of((wide, high), 2, 1.0, 1 << 14)
        made.append((x / w, y / h, (x + wide) / w, (y + high) / h))
    return tuple(made)


def sheet_of(tree: Mapping[str, Any]) -> tuple[Sheet, list[Hull]]:
    """How a sheet plays, and the outlines of its frames where all have one; raises ValueError."""
    words = tree.get("sheet")
    if not words:
        return Sheet(), []
    outlines = [
        np.array([numbers_of(corner, 2, -0.01, 1.01) for corner in f["hull"]], np.float64)
        for f in words["frames"]
        if "hull" in f
    ]
    if any(len(o) < 3 for o in outlines):
        raise ValueError
    hulls = [Hull(o, area_of(o)) for o in outlines] if len(outlines) == len(words["frames"]) else []
    corners = max((len(o) for o in outlines), default=0)
    hull = min(max(corners, 4), 8) if hulls else 0
    moves = bool(words.get("vectors"))
    return Sheet(play=words["play"], rate=words["rate"], blend=words["blend"], vectors=moves, hull=hull), hulls


def keep_vectors(texture: Texture, sheet: Sheet, folder: Path, words: Mapping[str, Any]) -> None:
    """Keep the motion vectors that were delivered with a sheet, as those that its frames are moved along.

    Raises
    ------
    ValueError
        They are no vectors of this sheet.
    MivexError
        Their picture cannot be read.
    """
    (scale,) = numbers_of([words["scale"]], 1, 1e-6, 16.0)
    values = read_picture(folder / inside_name(words["file"])).values[..., :2]
    if values.shape[:2] != texture.values.shape[:2]:
        raise ValueError
    made = VectorPicture(np.ascontiguousarray(values, np.float32), scale)
    memoized_on(texture, vectors_key(sheet.play), lambda: made)

"""How much of its neighbours a cell shows, mip level by mip level.

A cell is drawn from the sheet's own chain, and from one in which everything outside the cell is held at its border: what
differs is what has come from outside. It is said as it is seen: premultiplied and in display values, 0 to 255.
"""

from dataclasses import dataclass

import numpy as np

from mivex.core.base.types import Floats
from mivex.core.picture.texture import Texture
from mivex.core.picture.traits import FrameRect
from mivex.core.pixels.colour import to_display
from mivex.core.pixels.mips import build_chain
from mivex.core.pixels.sampling import sample

DEEPEST = 8
"""Coarsest level that is looked at."""
SAFE = 4.0
"""Codes of 255 up to which what comes in from next door is not seen."""


@dataclass(frozen=True, eq=False)
class Bleed:
    """Figures of a sheet.

    Attributes
    ----------
    levels : tuple of float
        Largest difference at each level.
    safe : int
        The coarsest level up to which all stay below `SAFE`; −1: not even the finest.
    worst : tuple of int
        Of each level, the frame with the largest difference.
    """

    levels: tuple[float, ...]
    safe: int
    worst: tuple[int, ...]


def cell_texels(cell: FrameRect, width: int, height: int) -> tuple[int, int, int, int]:
    """First column, first row, and those after the last, of a cell in a picture."""
    x0, y0, x1, y1 = cell
    left, top = round(x0 * width), round(y0 * height)
    return left, top, max(left + 1, round(x1 * width)), max(top + 1, round(y1 * height))


def _seen(rgba: Floats, data: bool) -> Floats:
    """As seen over black, middle grey and white: (3, …, 3), display values."""
    a = rgba[..., 3:]
    # Middle grey is 0.214 in linear light: the grounds are those of display codes 0, 128 and 255.
    out = np.stack([rgba[..., :3] * a + ground * (1 - a) for ground in (0.0, 0.2140411, 1.0)])
    return np.asarray(out if data else to_display(np.clip(out, 0, 1)))


def measure(texture: Texture, *, most: int = 64) -> Bleed:
    """Measure the bleed of a sheet; of more frames than ``most`` as many are looked at, evenly chosen."""
    cells = texture.traits.cells
    h, w = texture.height, texture.width
    worst: list[tuple[float, int]] = []
    # Evenly over the sheet: its first and its last frames are often the smallest, and bleed least.
    for n in range(0, len(cells), max(1, len(cells) // most)):
        for level, d in enumerate(_differs(texture, cell_texels(cells[n], w, h))):
            if level >= len(worst):
                worst.append((0.0, n))
            if d > worst[level][0]:
                worst[level] = d, n
    figures = tuple(round(d, 3) for d, _ in worst)
    # Safe up to the level before the first that shows; −1 where the finest shows already.
    safe = next((i for i, d in enumerate(figures) if d > SAFE), len(figures)) - 1
    return Bleed(figures, safe, tuple(n for _, n in worst))


def _differs(texture: Texture, cell: tuple[int, int, int, int]) -> list[float]:
    """Largest difference, in codes, at every level down to where the cell is one texel."""
    left, top, right, low = cell
    w, h = right - left, low - top
    values = texture.mips.level(0)
    levels = min(max(w, h).bit_length(), DEEPEST + 1)
    # A window round the cell that lies on the coarsest level's texels, so that its chain is the picture's own.
    step = 1 << (levels - 1)
    x0, y0 = max(0, (left - w) // step * step), max(0, (top - h) // step * step)
    x1, y1 = (min(s, -(-(e + d) // step) * step) for s, e, d in ((texture.width, right, w), (texture.height, low, h)))
    window = np.ascontiguousarray(values[y0:y1, x0:x1])
    inside = np.ascontiguousarray(values[top:low, left:right])
    # What the cell alone would give: its own border carried outwards, with nothing of its neighbours.
    alone = np.pad(inside, ((top - y0, y1 - low), (left - x0, x1 - right), (0, 0)), mode="edge")
    real, held = build_chain(window), build_chain(alone)
    found = []
    # Below a level of one texel a cell has nothing of its own left to compare.
    for level in range(min(levels, real.levels)):
        u, v = (_places(n, level) for n in (w, h))
        # Places are shares of the window, so that both chains are read at the very same texels.
        gu, gv = np.meshgrid((left - x0 + u * w) / (x1 - x0), (top - y0 + v * h) / (y1 - y0))
        a, b = (_seen(sample(c, gu, gv, np.full(gu.shape, level, np.float32)), texture.data) for c in (real, held))
        found.append(float(np.abs(a - b).max()) * 255)
    return found


def _places(texels: int, level: int) -> Floats:
    # Texels of the cell at that level: its border is where neighbours come in, at every level another distance.
    """Where a cell is looked at, as shares: its border, and its texels at a level; of many, those near both ends."""
    n = max(1, texels >> level)
    at = (np.arange(n) + 0.5) / n
    if n > 24:
        at = np.concatenate([at[:6], at[6 : -6 : max(1, n // 8)], at[-6:]])
    return np.concatenate([[0.0], at, [1.0]]).astype(np.float32)

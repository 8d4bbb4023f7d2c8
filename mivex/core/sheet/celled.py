"""Steps on a sheet: each cell on its own, so that no filter reaches across its border and no cell loses its place."""

from collections.abc import Callable

import numpy as np

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message
from mivex.core.base.types import Floats
from mivex.core.picture.traits import FrameRect
from mivex.core.prepare.base import Surface
from mivex.core.sheet.bleed import cell_texels


def by_cells(surface: Surface, run: Callable[[Surface], Surface], label: str) -> Surface:
    """Run a step on every cell of a sheet.

    Parameters
    ----------
    surface : Surface
        With cells.
    run : callable
        The step.
    label : str
        Its name, for the artist.

    Returns
    -------
    Surface
        What lies between the cells stays; where the step gives cells of another size, everything is scaled with them.

    Raises
    ------
    MivexError
        The step gives cells of different sizes.
    """
    h, w = surface.alpha.shape
    boxes = [cell_texels(c, w, h) for c in surface.traits.cells]
    made = [run(_cut(surface, box)) for box in boxes]
    before = {(b[3] - b[1], b[2] - b[0]) for b in boxes}
    after = {m.alpha.shape for m in made}
    if len(after) > len(before):
        raise MivexError(
            Message("“{label}” would give the cells of the sheet different sizes; they keep one size.", label=label)
        )
    grown = [(m.alpha.shape[0] / (b[3] - b[1]), m.alpha.shape[1] / (b[2] - b[0])) for m, b in zip(made, boxes, strict=True)]
    gy, gx = grown[0]
    size = (max(1, round(h * gy)), max(1, round(w * gx)))
    cells, spots = [], []
    for m, box in zip(made, boxes, strict=True):
        x, y = round(box[0] * gx), round(box[1] * gy)
        spots.append((x, y))
        ch, cw = m.alpha.shape
        cells.append((x / size[1], y / size[0], (x + cw) / size[1], (y + ch) / size[0]))
    values = _laid(surface.values, [m.values for m in made], spots, size)
    channels = {
        k: _laid(v, [m.channels[k] for m in made], spots, size)
        for k, v in surface.channels.items()
        if all(k in m.channels for m in made)
    }
    first = made[0].traits
    same = size == (h, w)
    full = surface.traits.full if same else (round(size[1] / first.scale), round(size[0] / first.scale))
    return Surface(
        values, traits=first.but(cells=surface.traits.cells if same else tuple(cells), full=full), channels=channels
    )


def _cut(surface: Surface, box: tuple[int, int, int, int]) -> Surface:
    left, top, right, low = box
    t = surface.traits
    full = (round((right - left) / t.scale), round((low - top) / t.scale))

    def part(v: Floats) -> Floats:
        return np.ascontiguousarray(v[top:low, left:right])

    return Surface(
        part(surface.values), traits=t.but(cells=(), full=full), channels={k: part(v) for k, v in surface.channels.items()}
    )


def _laid(whole: Floats, parts: list[Floats], spots: list[tuple[int, int]], size: tuple[int, int]) -> Floats:
    if size != whole.shape[:2]:
        import cv2

        out = cv2.resize(whole, (size[1], size[0]), interpolation=cv2.INTER_NEAREST).reshape(*size, whole.shape[2])
    else:
        out = whole.copy()
    for part, (x, y) in zip(parts, spots, strict=True):
        room = out[y : y + part.shape[0], x : x + part.shape[1]]
        room[...] = part[: room.shape[0], : room.shape[1]]
    return out


def frame_values(values: Floats, cells: tuple[FrameRect, ...]) -> list[Floats]:
    """The texels of every frame."""
    h, w = values.shape[:2]
    return [values[top:low, left:right] for left, top, right, low in (cell_texels(c, w, h) for c in cells)]

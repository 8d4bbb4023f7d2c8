"""The resampler of the core: pictures brought to another size, and laid over a canvas.

Colour is filtered multiplied by its alpha in linear light and divided again, so that nothing clear darkens an edge and a
checker of black and white becomes the grey that is as bright; data are filtered as they stand. What is laid smaller than it
is, is read from mip levels at several places of each pixel's footprint, more along its longer side (Williams 1983;
McCormack and others 1999, *Feline*).
"""

import math

import numpy as np

from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.picture.traits import PLAIN
from mivex.core.pixels.colour import to_display, to_linear
from mivex.core.pixels.mips import MipChain, build_chain
from mivex.core.pixels.sampling import sample
from mivex.core.prepare.weighing import premultiply, unpremultiply

cv2 = Lazy("cv2")

TAPS = 16
"""Most readings along one side of a footprint."""
FEW, MANY_TEXELS = 4, 1 << 21
"""Readings along each side of a square footprint, on canvases of up to so many texels; on larger ones two."""


def resized(values: Floats, width: int, height: int, kind: str = "area") -> Floats:
    """Resize an ``(h, w, c)`` array as it stands, each axis by itself: one may grow while the other shrinks.

    Area averages where it shrinks and is linear where it grows. Lanczos is OpenCV's kernel, which is not
    widened when shrinking: what shrinks is averaged down to within twice the size first.
    """

    def one(v: Floats, w: int, h: int, was: int, to: int) -> Floats:
        if was == to:
            return v
        if kind == "lanczos":
            # The kernel of eight texels sees no more than it covers: first to within twice the size by areas, then the
            # fine part.
            if was > 2 * to:
                v = _cv_resize(v, 2 * w if w != v.shape[1] else w, 2 * h if h != v.shape[0] else h, cv2.INTER_AREA)
            return _cv_resize(v, w, h, cv2.INTER_LANCZOS4)
        return _cv_resize(v, w, h, cv2.INTER_AREA if to < was else cv2.INTER_LINEAR)

    h, w = values.shape[:2]
    if (width < w) == (height < h) and kind == "area":
        # Both ways alike: in one pass.
        return _cv_resize(values, width, height, cv2.INTER_AREA if width < w else cv2.INTER_LINEAR)
    # The axis that shrinks first: less is left to do.
    if width <= w:
        return one(one(values, width, h, w, width), width, height, h, height)
    return one(one(values, w, height, h, height), width, height, w, width)


def _cv_resize(values: Floats, width: int, height: int, mode: int) -> Floats:
    out = cv2.resize(np.ascontiguousarray(values), (width, height), interpolation=mode)
    return np.asarray(out, np.float32).reshape(height, width, -1)


def picture_resized(values: Floats, width: int, height: int, *, data: bool, kind: str = "area") -> Floats:
    """Straight RGBA at another size.

    Parameters
    ----------
    values : float32 array (h, w, 4)
        Display values for colour, plain values for data.
    width, height : int
    data : bool
        Every channel stands for itself: alpha too is but a fourth one.
    kind : str
        ``area`` or ``lanczos``.

    Returns
    -------
    float32 array (height, width, 4). Under zero alpha stands the nearest texel's colour: hidden colour needs no filter,
    only to survive.
    """
    if values.shape[:2] == (height, width):
        return values
    if data:
        return resized(values, width, height, kind)
    # The colour under clear texels is nobody's average: the nearest texel's own is kept.
    hidden = cv2.resize(values, (width, height), interpolation=cv2.INTER_NEAREST).reshape(height, width, 4)
    if float(values.max(initial=0)) <= 1:
        return unpremultiply(resized(premultiply(values, PLAIN), width, height, kind), hidden, data=False)
    # Brighter than white: the kernels above end there.
    light = np.concatenate([to_linear(values[..., :3]), values[..., 3:]], axis=2)
    rgb, alpha = straight(resized(associated(light, linear=True), width, height, kind))
    return np.concatenate([np.where(alpha[..., None] > 1e-6, to_display(rgb), hidden[..., :3]), alpha[..., None]], axis=2)


def light_resized(values: Floats, width: int, height: int) -> Floats:
    """Display values without alpha, ``(h, w, 3)``, at another size: averaged as light."""
    return values if values.shape[:2] == (height, width) else to_display(resized(to_linear(values), width, height))


def plain_laid(values: Floats, rows: Floats, size: tuple[int, int]) -> Floats:
    """Values that stand for themselves, laid over a canvas.

    Parameters
    ----------
    values : float32 array (h, w) or (h, w, c), c up to 4
    rows : float64 array (2, 3)
        From a place on the canvas, as shares of its width and height, to one on the picture, which repeats.
    size : (height, width)
    """
    flat = values[..., None] if values.ndim == 2 else values
    chain = build_chain(np.concatenate([flat, np.zeros((*flat.shape[:2], 4 - flat.shape[2]), np.float32)], axis=2))
    out = laid_from(chain, rows, size)[..., : flat.shape[2]]
    return np.ascontiguousarray(out[..., 0] if values.ndim == 2 else out)


def laid_from(chain: MipChain, rows: Floats, size: tuple[int, int]) -> Floats:
    """A chain read over a canvas; as `plain_laid`, (height, width, 4)."""
    h, w = size
    tw, th = int(chain.widths[0]), int(chain.heights[0])
    # Texels that one step across and one step down the canvas go over.
    across = np.array([rows[0][0] * tw, rows[1][0] * th]) / w
    down = np.array([rows[0][1] * tw, rows[1][1] * th]) / h
    # The footprint's two sides in texels of level 0: below one texel there is nothing to average.
    sides = float(np.hypot(*across)), float(np.hypot(*down))
    if max(sides) <= 1:
        return _read(chain, rows, size, (0.0, 0.0), 0.0)
    # The pixel's footprint is read at places spread evenly over it, each from a level of about its share: one reading
    # of a level as coarse as the footprint would blur over the pixels beside it as well.
    fine = FEW if h * w <= MANY_TEXELS else 2
    least = max(min(sides), 1.0)
    # More readings along the longer side, so that the level suits the shorter one; no more than would be seen.
    taps = [max(1, min(math.ceil(fine * s / least), TAPS) if s > 1 else 1) for s in sides]
    lod = math.log2(max(sides[0] / taps[0], sides[1] / taps[1], 1.0))
    out = np.zeros((h, w, 4), np.float32)
    for i in range(taps[0]):
        for j in range(taps[1]):
            off = ((i + 0.5) / taps[0] - 0.5) / w, ((j + 0.5) / taps[1] - 0.5) / h
            out += _read(chain, rows, size, off, lod)
    return out / np.float32(taps[0] * taps[1])


def _read(chain: MipChain, rows: Floats, size: tuple[int, int], off: tuple[float, float], lod: float) -> Floats:
    """One reading a pixel, moved by shares of the canvas."""
    # Repeated by whole pictures: what is laid smaller than the canvas tiles.
    h, w = size
    x, y = (np.arange(w) + 0.5) / w + off[0], (np.arange(h)[:, None] + 0.5) / h + off[1]
    u = rows[0][0] * x + rows[0][1] * y + rows[0][2]
    v = rows[1][0] * x + rows[1][1] * y + rows[1][2]
    return sample(chain, u % 1, v % 1, np.full((), lod, np.float32), wrap=True)


def picture_chain(values: Floats, *, data: bool, linear: bool = False) -> MipChain:
    """The mip levels of straight RGBA as it is filtered: colour in linear light times alpha, data as they stand.

    ``linear``: its colour is in linear light already.
    """
    return build_chain(values if data else associated(values, linear=linear))


def associated(values: Floats, *, linear: bool = False) -> Floats:
    """Straight RGBA as colour in linear light times alpha; ``linear``: it is in linear light already."""
    if not linear:
        return premultiply(values, PLAIN)
    return np.concatenate([values[..., :3] * values[..., 3:], values[..., 3:]], axis=2)


def straight(sums: Floats) -> tuple[Floats, Floats]:
    """Colour in linear light (h, w, 3) and alpha (h, w) of associated values; black where nothing is."""
    a = sums[..., 3:]
    # Next to nothing of alpha: its colour would be rounding blown up.
    rgb = np.divide(sums[..., :3], a, out=np.zeros_like(sums[..., :3]), where=a > 1e-6)
    return np.ascontiguousarray(rgb), np.ascontiguousarray(sums[..., 3])

"""Laying pictures and values over a canvas: tiled, turned, moved."""

import math
from collections.abc import Callable

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.types import Floats
from mivex.core.layers.model import UvTransform
from mivex.core.layers.patterns import PATTERNS, AnyPattern
from mivex.core.pixels.colour import to_linear
from mivex.core.pixels.mips import MipChain
from mivex.core.prepare.resample import associated, laid_from, picture_chain, plain_laid, resized, straight

_PLAIN = UvTransform()
DRAWN = 256
"""Texels of a pattern's shorter side below which it is drawn finer and averaged."""
LARGEST_DRAWN = 1 << 22
"""Texels that such a finer drawing has at most."""


def _rows(how: UvTransform, size: tuple[int, int]) -> NDArray[np.float64]:
    """The map from shares of the canvas to shares of the picture, (2, 3): tiled, turned about the middle, moved."""
    h, w = size
    c, s = math.cos(math.radians(how.turn)), math.sin(math.radians(how.turn))
    # Turned as it is seen, whatever the canvas's shape.
    k = w / h
    turn = np.array([[how.across * c, how.across * s / k], [-how.down * s * k, how.down * c]])
    return np.concatenate([turn, (turn @ [-0.5 - how.right, -0.5 - how.low] + 0.5)[:, None]], axis=1)


def laid(values: Floats, how: UvTransform, size: tuple[int, int]) -> Floats:
    """Values that stand for themselves, laid over a canvas: tiled, turned about the middle, moved; they repeat.

    Parameters
    ----------
    values : float32 array (h, w) or (h, w, c)
    how : UvTransform
    size : (height, width)
    """
    h, w = size
    if how != _PLAIN:
        return plain_laid(values, _rows(how, size), size)
    if values.shape[:2] == (h, w):
        return values
    made = resized(values if values.ndim == 3 else values[..., None], w, h)
    return made if values.ndim == 3 else made[..., 0]


def pattern_laid(
    pattern: AnyPattern,
    how: UvTransform,
    size: tuple[int, int],
    keep: Callable[[str, Callable[[], object]], object],
) -> Floats:
    """A pattern at the size of the canvas; tiles are drawn as finely as they are shown."""
    h, w = size
    th, tw = (max(16, math.ceil(h / how.down)), max(16, math.ceil(w / how.across))) if how != _PLAIN else (h, w)
    th, tw = min(th, 2 * h), min(tw, 2 * w)
    # Small ones are drawn finer and averaged: a line thinner than a texel is fainter, not gone.
    finer = max(1, min(math.ceil(DRAWN / min(th, tw)), math.isqrt(LARGEST_DRAWN // (th * tw)), 8192 // max(th, tw)))
    key = f"pattern {pattern.model_dump_json()} {th} {tw}"

    def draw() -> Floats:
        return np.asarray(PATTERNS[pattern.kind].draw(pattern, th * finer, tw * finer), np.float32)

    if finer > 1 and (how.across, how.down) == (1, 1):
        # Once over the canvas: averaged first, so that one that is only moved or turned is the same tile.
        whole = keep(
            f"{key} small", lambda: np.round(resized(draw()[..., None], tw, th)[..., 0] * 65535) / np.float32(65535)
        )
        return laid(np.asarray(whole, np.float32), how, size)
    return laid(np.asarray(keep(key, draw), np.float32), how, size)


def colour_laid(
    values: Floats,
    how: UvTransform,
    size: tuple[int, int],
    *,
    data: bool = False,
    linear: bool = False,
    keep: Callable[[Callable[[], object]], object] = lambda make: make(),
) -> tuple[Floats, Floats]:
    """A picture laid over a canvas: its colour in linear light (h, w, 3), data as they are, and its alpha (h, w).

    Parameters
    ----------
    values : float32 array (h, w, 4)
        Straight, display values for colour.
    how : UvTransform
    size : (height, width)
    data, linear : bool
        It is no colour; its colour is in linear light already.
    keep : callable
        Makes its mip levels, or gives those that were made before.
    """
    h, w = size
    same = values.shape[:2] == (h, w)
    if how == _PLAIN and (same or data):
        v = values if same else resized(values, w, h)
        rgb = np.ascontiguousarray(v[..., :3])
        return rgb if data or linear else to_linear(rgb), np.ascontiguousarray(v[..., 3])
    if how == _PLAIN:
        sums = associated(values, linear=linear)
        return straight(resized(sums, w, h))
    chain = keep(lambda: picture_chain(values, data=data, linear=linear))
    assert isinstance(chain, MipChain)
    found = laid_from(chain, _rows(how, size), size)
    return (np.ascontiguousarray(found[..., :3]), np.ascontiguousarray(found[..., 3])) if data else straight(found)

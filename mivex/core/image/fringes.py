"""Fringe: hidden colour that leaks in when a straight texture is filtered.

The same texture is filtered twice: straight colour, as hardware does, and
premultiplied colour, which is the truth (Porter and Duff 1984; Smith 1995,
*Image Compositing Fundamentals*). Both share alpha ``a``; what reaches the
screen differs by ``a · |C_straight − P/a|`` in linear light. It is reported as
it is seen: both composited over black, display mid grey and white, encoded for
display, the largest difference over backdrops and channels, 0 to 255.
"""

from collections.abc import Iterator
from dataclasses import dataclass

import numba as nb
import numpy as np

from mivex.core.bands import run_bands
from mivex.core.image.colour import encode_near
from mivex.core.image.mips import MipChain, halve
from mivex.core.image.texture import Texture
from mivex.core.types import Floats

VISIBLE = 4.0
"""A difference of so many codes, of 255, can be seen at an edge."""

GREY = np.float32(((0.5 + 0.055) / 1.055) ** 2.4)
"""Display mid grey in linear light."""


@nb.njit(nogil=True, cache=True, inline="always")
def _clip01(v):  # type: ignore[no-untyped-def]
    return min(max(v, np.float32(0)), np.float32(1))


@nb.njit(nogil=True, cache=True)
def seen_difference(p, q, a, grey, encode):  # type: ignore[no-untyped-def]
    """Largest display difference of two associated colours of alpha ``a``, 0 to 255. For kernels."""
    worst = np.float32(0)
    if abs(p - q) < np.float32(1e-7):
        return worst
    for k in range(3):
        back = np.float32(0) if k == 0 else (grey if k == 1 else np.float32(1))
        behind = (np.float32(1) - a) * back
        s, t = _clip01(p + behind), _clip01(q + behind)
        d = abs(encode_near(s) - encode_near(t)) if encode else abs(s - t)
        worst = max(worst, d)
    return worst * np.float32(255)


@nb.njit(nogil=True, cache=True)
def _level_rows(straight, true, grey, encode, out, first, last):  # type: ignore[no-untyped-def]
    for y in range(first, last):
        for x in range(out.shape[1]):
            a = straight[y, x, 3]
            if not a > 0:
                out[y, x] = -1
                continue
            worst = np.float32(0)
            for c in range(3):
                worst = max(worst, seen_difference(straight[y, x, c] * a, true[y, x, c], a, grey, encode))
            out[y, x] = worst


@nb.njit(nogil=True, cache=True)
def _corner_rows(texels, grey, encode, wrap, out, first, last):  # type: ignore[no-untyped-def]
    h, w = out.shape
    q = np.float32(0.25)
    for y in range(first, last):
        y1 = (y + 1) % h if wrap else min(y + 1, h - 1)
        for x in range(w):
            x1 = (x + 1) % w if wrap else min(x + 1, w - 1)
            a00, a01, a10, a11 = texels[y, x, 3], texels[y, x1, 3], texels[y1, x, 3], texels[y1, x1, 3]
            a = (a00 + a01 + a10 + a11) * q
            if not a > 0:
                out[y, x] = -1
                continue
            worst = np.float32(0)
            if not a00 == a01 == a10 == a11:
                for c in range(3):
                    c00, c01, c10, c11 = texels[y, x, c], texels[y, x1, c], texels[y1, x, c], texels[y1, x1, c]
                    straight = (c00 + c01 + c10 + c11) * q * a
                    true = (c00 * a00 + c01 * a01 + c10 * a10 + c11 * a11) * q
                    worst = max(worst, seen_difference(straight, true, a, grey, encode))
            out[y, x] = worst


@dataclass(frozen=True)
class LevelFringe:
    """Fringe figure of one mip level, 0 to 255, over texels with alpha above 0.

    Attributes
    ----------
    level, width, height : int
    maximum, p99, mean : float
    shows : float
        Figure times the area that shows it: the sum of what lies above `VISIBLE`, over the texels seen.
    """

    level: int
    width: int
    height: int
    maximum: float
    p99: float
    mean: float
    shows: float


def fringe_map(texture: Texture, level: int, *, wrap: bool = False) -> Floats:
    """Picture of the fringe at one level.

    Parameters
    ----------
    texture : Texture
    level : int
        0 judges the corners between texels (corner ``y, x`` lies between texel
        ``y, x`` and the next row and column); higher levels judge their texels.
    wrap : bool
        The texture repeats, so its borders meet.

    Returns
    -------
    float32 array (level height, level width)
        0 to 255; −1 where alpha is 0.
    """
    grey, encode = (GREY, True) if texture.meaning == "colour" else (np.float32(0.5), False)
    true = None if level == 0 or texture.premultiplied else texture.true_mips.level(level)
    return _level_map(texture.mips.level(level), true, grey, encode, wrap, texture.premultiplied)


def true_levels(straight: Floats) -> Iterator[Floats]:
    """Levels 1 and up of the premultiplied chain, one after the other; level 0 is never stored."""
    level, weigh = straight, True
    while level.shape[0] > 1 or level.shape[1] > 1:
        level = halve(level, weigh=weigh)
        weigh = False
        yield level


def _figure(level: int, seen: Floats) -> LevelFringe:
    h, w = seen.shape
    own = seen[seen >= 0]
    if not own.size:
        return LevelFringe(level, w, h, 0.0, 0.0, 0.0, 0.0)
    mean = float(own.mean(dtype=np.float64))
    # Where all of it is alike the percentile is, too; most clean textures end here.
    p99 = float(np.percentile(own, 99)) if own.max() > 0 else 0.0
    shows = float(own[own > VISIBLE].sum(dtype=np.float64)) / own.size
    return LevelFringe(level, w, h, float(own.max()), p99, mean, shows)


def fringe_figures(texture: Texture, *, wrap: bool = False, straight: MipChain | None = None) -> list[LevelFringe]:
    """The fringe at every level; see `fringe_map`.

    Parameters
    ----------
    texture : Texture
    wrap : bool
        The texture repeats.
    straight : MipChain, optional
        Judge this chain of straight colour against the texture's own truth: what a repair that leaves seen
        colour and alpha alone would give.
    """
    chain = straight or texture.mips
    grey, encode = (GREY, True) if texture.meaning == "colour" else (np.float32(0.5), False)
    rows = [_figure(0, _level_map(chain.level(0), None, grey, encode, wrap, texture.premultiplied))]
    truth = true_levels(texture.mips.level(0)) if not texture.premultiplied else iter(())
    for i in range(1, chain.levels):
        true = None if texture.premultiplied else next(truth)
        rows.append(_figure(i, _level_map(chain.level(i), true, grey, encode, wrap, texture.premultiplied)))
    return rows


def _level_map(straight: Floats, true: Floats | None, grey: np.float32, encode: bool, wrap: bool,
               premultiplied: bool) -> Floats:
    out: Floats = np.zeros(straight.shape[:2], np.float32)
    if premultiplied:
        out[straight[..., 3] <= 0] = -1
    elif true is None:
        run_bands(out.shape[0], lambda a, b: _corner_rows(straight, grey, encode, wrap, out, a, b))
    else:
        run_bands(out.shape[0], lambda a, b: _level_rows(straight, true, grey, encode, out, a, b))
    return out

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
from itertools import islice

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.picture.texture import Texture
from mivex.core.pixels.mips import MipChain, halve
from mivex.core.pixels.ranks import percentile

_kernels = Lazy("mivex.core.picture.kernels.fringes")

VISIBLE = 4.0
"""A difference of so many codes, of 255, can be seen at an edge."""

GREY = np.float32(((0.5 + 0.055) / 1.055) ** 2.4)
"""Display mid grey in linear light."""


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
    most = float(own.max())
    p99 = percentile(own, 99) if most > 0 else 0.0
    shows = float(own[own > VISIBLE].sum(dtype=np.float64)) / own.size if most > VISIBLE else 0.0
    return LevelFringe(level, w, h, most, p99, mean, shows)


def fringe_figures(texture: Texture, *, wrap: bool = False) -> list[LevelFringe]:
    """The fringe at every level; see `fringe_map`.

    Parameters
    ----------
    texture : Texture
    wrap : bool
        The texture repeats.
    """
    truth = true_levels(texture.mips.level(0)) if not texture.premultiplied else iter(())
    return [_at_level(texture, texture.mips, i, next(truth, None) if i else None, wrap) for i in range(texture.mips.levels)]


def fringe_at(texture: Texture, level: int, *, wrap: bool = False, straight: MipChain | None = None) -> LevelFringe:
    """The fringe at one level; see `fringe_map`.

    Parameters
    ----------
    texture : Texture
    level : int
    wrap : bool
        The texture repeats.
    straight : MipChain, optional
        Judge this chain of straight colour against the texture's own truth: what a repair that leaves seen
        colour and alpha alone would give.
    """
    truth = true_levels(texture.mips.level(0)) if level and not texture.premultiplied else iter(())
    true = next(islice(truth, level - 1, None), None) if level else None
    return _at_level(texture, straight or texture.mips, level, true, wrap)


def _at_level(texture: Texture, chain: MipChain, level: int, true: Floats | None, wrap: bool) -> LevelFringe:
    grey, encode = (GREY, True) if texture.meaning == "colour" else (np.float32(0.5), False)
    return _figure(level, _level_map(chain.level(level), true, grey, encode, wrap, texture.premultiplied))


def _level_map(
    straight: Floats, true: Floats | None, grey: np.float32, encode: bool, wrap: bool, premultiplied: bool
) -> Floats:
    out: Floats = np.zeros(straight.shape[:2], np.float32)
    if premultiplied:
        out[straight[..., 3] <= 0] = -1
    elif true is None:
        run_bands(out.shape[0], lambda a, b: _kernels.corner_rows(straight, grey, encode, wrap, out, a, b))
    else:
        run_bands(out.shape[0], lambda a, b: _kernels.level_rows(straight, true, grey, encode, out, a, b))
    return out

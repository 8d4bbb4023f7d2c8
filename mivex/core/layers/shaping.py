"""What is done to a part of a mask once it is there: warped, grown, turned into a distance, blurred; in this order.

All sizes are shares of the canvas' shorter side, so that a mask is the same at every size.
"""

import math

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.layers.model import Shaping
from mivex.core.pixels.outline import trace

cv2 = Lazy("cv2")
_kernels = Lazy("mivex.core.layers.kernels.shaping")


def _wide(values: Floats, by: int, goes_round: bool) -> Floats:
    """Values with a rim of so many texels: of the other side, or of the border itself."""
    return np.pad(values, by, mode="wrap" if goes_round else "edge")


def warped(values: Floats, by: Floats, amount: float, *, goes_round: bool) -> Floats:
    """Values (h, w) read from elsewhere: ``by`` says how far to the right and, a third of the canvas away, downwards.

    Parameters
    ----------
    values, by : float32 arrays (h, w)
    amount : float
        Texels at 0 and 1 of ``by``; none at a half.
    goes_round : bool
    """
    h, w = values.shape
    other = np.roll(by, (h // 3, w // 3), axis=(0, 1))
    y, x = np.mgrid[:h, :w].astype(np.float32)
    reach = math.ceil(amount) + 2
    wide = _wide(values, reach, goes_round)
    f = np.float32(2 * amount)
    x, y = x + reach + (by - np.float32(0.5)) * f, y + reach + (other - np.float32(0.5)) * f
    return np.asarray(cv2.remap(wide, x, y, cv2.INTER_LINEAR, borderMode=cv2.BORDER_REPLICATE), np.float32)


def grown(values: Floats, radius: float, *, goes_round: bool) -> Floats:
    """The largest value within a radius in texels; below zero the smallest. Between whole texels both are mixed."""
    if radius < 0:
        return 1 - grown(1 - values, -radius, goes_round=goes_round)
    low = math.floor(radius)
    share = radius - low
    found = values if low == 0 else _disc(values, low, goes_round)
    if share > 1e-3:
        found = found + (_disc(values, low + 1, goes_round) - found) * np.float32(share)
    return np.asarray(found, np.float32)


def _disc(values: Floats, radius: int, goes_round: bool) -> Floats:
    wide = np.ascontiguousarray(_wide(values, radius, goes_round))
    levels = (2 * radius + 1).bit_length()
    table: Floats = np.empty((levels, *wide.shape), np.float32)
    run_bands(wide.shape[0], lambda a, b: _kernels.largest_along(wide[a:b], table[:, a:b]))
    out = np.empty_like(wide)
    run_bands(wide.shape[0], lambda a, b: _kernels.disc_rows(table, float(radius), out, a, b))
    h, w = values.shape
    return np.ascontiguousarray(out[radius : radius + h, radius : radius + w])


def distance(values: Floats, reach: float, *, goes_round: bool) -> Floats:
    """How far a texel lies inside the outline where values are a half: 0 at ``reach`` texels outside, 1 as far inside."""
    rim = min(math.ceil(reach) + 1, max(values.shape))
    h, w = values.shape
    signed = trace(_wide(values, rim, goes_round), reach + 2).distance[rim : rim + h, rim : rim + w]
    return np.asarray(np.clip(np.float32(0.5) - signed / np.float32(2 * max(reach, 0.5)), 0, 1), np.float32)


def shaped(values: Floats, how: Shaping, by: Floats | None, size: tuple[int, int]) -> Floats:
    """A part of a mask after its shaping.

    Parameters
    ----------
    values : float32 array (h, w), or of one texel where it is the same everywhere
    how : Shaping
    by : float32 array (h, w), optional
        What it is warped by.
    size : (height, width)
    """
    if how == Shaping() or values.shape == (1, 1):
        return values
    short, round_ = min(size), how.goes_round
    if how.warp > 0 and by is not None:
        values = warped(values, np.broadcast_to(by, values.shape), how.warp * short, goes_round=round_)
    if how.grow:
        values = grown(values, how.grow * short, goes_round=round_)
    if how.distance > 0:
        values = distance(values, how.distance * short, goes_round=round_)
    if how.blur > 0:
        sigma = how.blur * short
        rim = min(math.ceil(sigma * 4), 2 * max(size))
        blurred = cv2.GaussianBlur(_wide(values, rim, round_), (0, 0), sigma)
        values = np.ascontiguousarray(blurred[rim : rim + size[0], rim : rim + size[1]])
    return np.asarray(np.clip(values, 0, 1), np.float32)

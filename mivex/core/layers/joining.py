"""How values join: on arrays alone, in linear light for colours.

A row's weight ``m`` is its mask times its strengths. For a channel with below ``b`` and value ``v``,

    b' = b + m (J(b, v) − b),

J being the value itself, b·v, b + v, 1 − (1 − b)(1 − v), max or min. Colour and opacity that both go towards a
value go together, as light does (Porter and Duff 1984): opacity as above, colour by the share of what is seen,
``m o / ((1 − m) a + m o)`` for opacities a below and o of the value, so that a clear base never darkens a rim.
"""

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.layers.model import JOINS, LayerBlend, MaskJoin, Range

_kernels = Lazy("mivex.core.layers.kernels.joining")
_CODES = {name: i for i, name in enumerate(JOINS)}
EVERYWHERE: Floats = np.ones((1, 1), np.float32)
"""A weight of 1."""


def deep(values: Floats) -> Floats:
    """The same with a last axis for channels."""
    return values if values.ndim == 3 else values[..., None]


def _rows_of(values: Floats) -> Floats:
    """The same as rows of values, (h, w · k)."""
    return values.reshape(values.shape[0], -1)


def _size(*arrays: Floats) -> tuple[int, int]:
    return max(a.shape[0] for a in arrays), max(a.shape[1] for a in arrays)


def join(below: Floats, value: Floats, weight: Floats, share: float, how: LayerBlend, low: float = 0.0) -> Floats:
    """One channel after a row.

    Parameters
    ----------
    below, value : float32 arrays (h, w), (h, w, 3), or of one texel where it is the same everywhere
    weight : float32 array (h, w) or (1, 1)
    share : float
        Multiplies the weight.
    how : str
    low : float
        Least value that the channel may have.
    """
    b, v = deep(below), deep(value)
    h, w = _size(b, v, weight)
    out: Floats = np.empty((h, w, max(b.shape[2], v.shape[2])), np.float32)
    # One layout for the kernel, whatever comes in: every other one would be compiled anew.
    c = np.ascontiguousarray
    b, v = (c(x if x.shape[2] == out.shape[2] else np.repeat(x, out.shape[2], axis=2), np.float32) for x in (b, v))
    weight, f = c(weight, np.float32), np.float32
    k = out.shape[2]
    rows = [_rows_of(x) for x in (b, v, weight, out)]
    run_bands(h, lambda y0, y1: _kernels.join_rows(*rows[:3], k, f(share), _CODES[how], f(low), rows[3], y0, y1))
    return out if below.ndim == 3 or value.ndim == 3 else out[..., 0]


def join_light(
    below: Floats,
    alpha: Floats,
    value: Floats,
    cover: Floats,
    colour_weight: tuple[Floats, float],
    opacity_weight: tuple[Floats, float],
) -> tuple[Floats, Floats]:
    """Colour and opacity after a row that brings both towards its own; weights as array and share."""
    (wc, sc), (wo, so) = colour_weight, opacity_weight
    h, w = _size(below, alpha, value, cover, wc, wo)
    out, solid = np.empty((h, w, 3), np.float32), np.empty((h, w), np.float32)
    f = np.float32
    below, alpha, value, cover, wc, wo = (np.ascontiguousarray(a, f) for a in (below, alpha, value, cover, wc, wo))
    rows = [_rows_of(x) for x in (below, alpha, value, cover, wc, wo)]
    flat = _rows_of(out)
    run_bands(h, lambda y0, y1: _kernels.light_rows(*rows, f(sc), f(so), flat, solid, y0, y1))
    return out, solid


def levelled(values: Floats, levels: Range) -> Floats:
    """``clip((v − low) / (high − low))^(1/gamma)``."""
    if levels.plain:
        return values
    span = levels.high - levels.low
    out = np.clip((values - np.float32(levels.low)) / np.float32(span if abs(span) > 1e-4 else 1e-4), 0, 1)
    return np.asarray(out if levels.gamma == 1 else out ** np.float32(1 / levels.gamma), np.float32)


def join_masks(before: Floats, part: Floats, how: MaskJoin) -> Floats:
    """Two parts of a mask as one."""
    if how == "multiply":
        return before * part
    if how == "add":
        return np.minimum(before + part, 1)
    if how == "subtract":
        return np.maximum(before - part, 0)
    if how == "difference":
        return np.abs(before - part)
    return np.maximum(before, part) if how == "larger" else np.minimum(before, part)


def pressed(mask: Floats, contrast: float, balance: float) -> Floats:
    """``clip((m − ½ + balance/2) · g + ½)``, g = 1 / (1 − contrast): towards all or nothing about a place that moves."""
    if contrast == 0 and balance == 0:
        return mask
    gain = np.float32(1 / max(1 - contrast, 1 / 255))
    return np.asarray(np.clip((mask - np.float32(0.5 - balance / 2)) * gain + np.float32(0.5), 0, 1), np.float32)

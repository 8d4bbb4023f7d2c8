"""Kernels that change light in one pass: decode, reckon, encode, texel by texel."""

import numba as nb
import numpy as np

from mivex.core.bands import run_bands
from mivex.core.image.colour import decode_near, encode_near
from mivex.core.prepare.base import Surface
from mivex.core.types import Floats


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _light_rows(values, factor, weight, colour, by_value, glow, amount, share, linear, out, first, last):  # type: ignore[no-untyped-def]
    one, zero = np.float32(1), np.float32(0)
    for y in range(first, last):
        for x in range(out.shape[1]):
            w = weight[y, x] if weight.shape[0] > 1 or weight.shape[1] > 1 else weight[0, 0]
            if w != 0 and by_value:
                lum = zero
                for c in range(3):
                    v = values[y, x, c]
                    k = np.float32(0.2126) if c == 0 else np.float32(0.7152) if c == 1 else np.float32(0.0722)
                    lum += k * (decode_near(v) if linear else v)
                w *= lum
            for c in range(3):
                s = values[y, x, c]
                v = decode_near(s) if linear else s
                r = v * factor[c] + w * colour[c]
                if amount > 0:
                    r = one - (one - r) * (one - min(max(glow[y, x, c] * amount, zero), one))
                if share < one:
                    r = v + (r - v) * share
                if r == v:
                    out[y, x, c] = s
                else:
                    r = min(max(r, zero), one)
                    out[y, x, c] = encode_near(r) if linear else r
            out[y, x, 3] = values[y, x, 3]


_NOTHING = np.zeros((1, 1, 3), np.float32)


def relit(surface: Surface, *, factor: Floats | None = None, weight: Floats | None = None, colour: Floats | None = None,
          by_value: bool = False, glow: Floats | None = None, amount: float = 0.0, share: float = 1.0) -> Floats:
    """Stored values after ``(C·factor + weight·colour) ⊕ amount·glow``, ⊕ being screen; all in linear light.

    Parameters
    ----------
    surface : Surface
    factor, colour : float32 arrays (3,), optional
    weight : float32 array (height, width), optional
        How much of ``colour`` is added.
    by_value : bool
        The weight is multiplied by luminance.
    glow : float32 array (height, width, 3 or 4), optional
    amount : float
        Of the glow.
    share : float
        How much of the change is made.
    """
    f = np.float32
    out: Floats = np.empty(surface.values.shape, np.float32)
    args = (np.ones(3, f) if factor is None else factor, np.zeros((1, 1), f) if weight is None else weight,
            np.zeros(3, f) if colour is None else colour, by_value,
            _NOTHING if glow is None else np.ascontiguousarray(glow, f), f(amount), f(share), not surface.data)
    run_bands(out.shape[0], lambda a, b: _light_rows(surface.values, *args, out, a, b))  # type: ignore[call-arg]
    return out


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _over_rows(values, light, cover, linear, out, first, last):  # type: ignore[no-untyped-def]
    one, zero = np.float32(1), np.float32(0)
    for y in range(first, last):
        for x in range(out.shape[1]):
            c, a = cover[y, x], values[y, x, 3]
            j, i = (y, x) if light.shape[0] > 1 or light.shape[1] > 1 else (0, 0)
            under = a * (one - c)
            alpha = c + under
            for k in range(3):
                s = values[y, x, k]
                if c <= zero and alpha > zero:
                    out[y, x, k] = s
                    continue
                r = light[j, i, k]
                if alpha > zero:
                    r = (r * c + (decode_near(s) if linear else s) * under) / alpha
                r = min(max(r, zero), one)
                out[y, x, k] = encode_near(r) if linear else r
            out[y, x, 3] = min(alpha, one)


def laid_over(surface: Surface, light: Floats, cover: Floats) -> Floats:
    """Stored values after source over (Porter and Duff 1984) in linear light.

    Where nothing is seen afterwards, the colour underneath becomes that of the drawing, so that none leaks in.

    Parameters
    ----------
    surface : Surface
    light : float32 array (height, width, 3) or (3,)
        Straight linear colour of the drawing.
    cover : float32 array (height, width)
    """
    out: Floats = np.empty(surface.values.shape, np.float32)
    src = np.ascontiguousarray(np.broadcast_to(light, (1, 1, 3)) if light.ndim == 1 else light, np.float32)
    flat = np.ascontiguousarray(cover, np.float32)
    run_bands(out.shape[0], lambda a, b: _over_rows(surface.values, src, flat, not surface.data, out, a, b))
    return out


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _matte_rows(values, B, alpha, share, linear, out, first, last):  # type: ignore[no-untyped-def]
    one, zero = np.float32(1), np.float32(0)
    for y in range(first, last):
        for x in range(out.shape[1]):
            a = alpha[y, x]
            keep = one - share * (one - a)
            for c in range(3):
                s = values[y, x, c]
                v = decode_near(s) if linear else s
                r = v
                if a > zero and keep < one:
                    r = min(max((v - B[c]) / keep + B[c], zero), one) if keep > np.float32(1e-6) else B[c]
                if r == v:
                    out[y, x, c] = s
                else:
                    out[y, x, c] = encode_near(r) if linear else r
            out[y, x, 3] = a


def matte_out(surface: Surface, B: Floats, alpha: Floats, share: float, linear: bool) -> Floats:
    """Stored values with ``alpha`` and the colour that lay over matte ``B``; see `mattes.colour_under`.

    ``linear``: the blend was made in linear light, and ``B`` is given in it.
    """
    out: Floats = np.empty(surface.values.shape, np.float32)
    a32, B32 = np.ascontiguousarray(alpha, np.float32), np.asarray(B, np.float32)
    decode = linear and not surface.data
    run_bands(out.shape[0], lambda a, b: _matte_rows(surface.values, B32, a32, np.float32(share), decode, out, a, b))
    return out


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _mix_rows(values, colours, out, first, last):  # type: ignore[no-untyped-def]
    for y in range(first, last):
        for x in range(out.shape[1]):
            for c in range(3):
                r = np.float32(0)
                for m in range(4):
                    r += values[y, x, m] * colours[m, c]
                out[y, x, c] = encode_near(min(max(r, np.float32(0)), np.float32(1)))
            out[y, x, 3] = values[y, x, 3]


def masks_coloured(values: Floats, colours: Floats) -> Floats:
    """Display values of ``Σ maskᵢ · colourᵢ``; ``colours`` float32 (4, 3) in linear light; alpha as it is."""
    out: Floats = np.empty(values.shape, np.float32)
    run_bands(out.shape[0], lambda a, b: _mix_rows(values, colours, out, a, b))
    return out

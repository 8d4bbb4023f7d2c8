"""Premultiplying and dividing again, in one pass each: what every step that filters colour begins and ends with."""

import numba as nb
import numpy as np

from mivex.core.bands import run_bands
from mivex.core.image.colour import decode_near, encode_near
from mivex.core.prepare.base import Surface
from mivex.core.types import Floats


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _weigh_rows(values, decode, out, first, last):  # type: ignore[no-untyped-def]
    for y in range(first, last):
        for x in range(values.shape[1]):
            a = values[y, x, 3]
            for c in range(3):
                v = values[y, x, c]
                out[y, x, c] = (decode_near(v) if decode else v) * a
            out[y, x, 3] = a


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _unweigh_rows(sums, plain, encode, least, out, first, last):  # type: ignore[no-untyped-def]
    one, zero = np.float32(1), np.float32(0)
    for y in range(first, last):
        for x in range(out.shape[1]):
            a = sums[y, x, 3]
            if a > least:
                inv = one / a
                for c in range(3):
                    v = min(max(sums[y, x, c] * inv, zero), one)
                    out[y, x, c] = encode_near(v) if encode else v
            else:
                for c in range(3):
                    out[y, x, c] = plain[y, x, c]
            out[y, x, 3] = min(max(a, zero), one)


def weighed(surface: Surface) -> Floats:
    """Colour times alpha in linear light, and alpha; float32 (height, width, 4)."""
    out: Floats = np.empty(surface.values.shape, np.float32)
    run_bands(out.shape[0], lambda a, b: _weigh_rows(surface.values, not surface.data, out, a, b))
    return out


def unweighed(sums: Floats, plain: Floats, data: bool, least: float = 1e-5) -> Floats:
    """Stored values again: colour divided by alpha; where alpha is at most ``least``, that of ``plain``.

    Parameters
    ----------
    sums : float32 array (height, width, 4)
        As `weighed` gives, filtered.
    plain : float32 array (height, width, 3 or 4)
        Stored values for clear texels.
    data : bool
        Not a colour picture.
    """
    out: Floats = np.empty((*sums.shape[:2], 4), np.float32)
    run_bands(out.shape[0], lambda a, b: _unweigh_rows(sums, plain, not data, np.float32(least), out, a, b))
    return out


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _premultiply_rows(values, data, out, first, last):  # type: ignore[no-untyped-def]
    for y in range(first, last):
        for x in range(values.shape[1]):
            a = values[y, x, 3]
            for c in range(3):
                v = values[y, x, c]
                out[y, x, c] = v * a if data else (v if a >= 1 else encode_near(decode_near(v) * a))
            out[y, x, 3] = a


def premultiplied(surface: Surface) -> Floats:
    """Stored values of ``C·α``, multiplied in linear light; float32 (height, width, 4)."""
    out: Floats = np.empty(surface.values.shape, np.float32)
    run_bands(out.shape[0], lambda a, b: _premultiply_rows(surface.values, surface.data, out, a, b))
    return out

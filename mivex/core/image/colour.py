"""Colour transfer between display values and linear light.

References
----------
IEC 61966-2-1:1999, the sRGB transfer functions.
ITU-R BT.709-6, luminance weights.
"""

import numba as nb
import numpy as np
from numpy.typing import NDArray

from mivex.core.bands import run_bands
from mivex.core.types import Floats

LUMINANCE = np.array([0.2126, 0.7152, 0.0722], np.float32)
"""Weights of red, green and blue in luminance (BT.709)."""


@nb.njit(nogil=True, cache=True, inline="always")
def _decode_one(v):  # type: ignore[no-untyped-def]
    a = abs(v)
    if a <= np.float32(0.04045):
        r = a / np.float32(12.92)
    else:
        r = ((a + np.float32(0.055)) / np.float32(1.055)) ** np.float32(2.4)
    return r if v >= 0 else -r


@nb.njit(nogil=True, cache=True, inline="always")
def _encode_one(v):  # type: ignore[no-untyped-def]
    a = abs(v)
    if a <= np.float32(0.0031308):
        r = a * np.float32(12.92)
    else:
        r = np.float32(1.055) * a ** np.float32(1.0 / 2.4) - np.float32(0.055)
    return r if v >= 0 else -r


_STEPS = 4096


def _tables() -> tuple[Floats, Floats]:
    v = np.arange(_STEPS + 2, dtype=np.float64) / _STEPS
    root = v * v
    return (np.where(v <= 0.04045, v / 12.92, ((v + 0.055) / 1.055) ** 2.4).astype(np.float32),
            np.where(root <= 0.0031308, root * 12.92, 1.055 * root ** (1 / 2.4) - 0.055).astype(np.float32))


# Straight lines between table entries, at most 5e-7 beside the curve, at a fraction of the time of a power.
# The encoding one is spaced by the square root, since the curve is steep near black. Kernels hold both as constants:
# a table handed over as an argument would be counted in and out at every value.
_DECODE_TABLE, _ENCODE_TABLE = _tables()


@nb.njit(nogil=True, cache=True, error_model="numpy", inline="always")
def decode_near(v):  # type: ignore[no-untyped-def]
    """Decode one display value. For kernels."""
    if 0 <= v <= 1:
        t = v * np.float32(4096)
        k = int(t)
        r = _DECODE_TABLE[k] + (_DECODE_TABLE[k + 1] - _DECODE_TABLE[k]) * (t - np.float32(k))
    else:
        r = _decode_one(v)
    return r


@nb.njit(nogil=True, cache=True, error_model="numpy", inline="always")
def encode_near(v):  # type: ignore[no-untyped-def]
    """Encode one linear value. For kernels."""
    if 0 <= v <= 1:
        t = np.sqrt(v) * np.float32(4096)
        k = int(t)
        r = _ENCODE_TABLE[k] + (_ENCODE_TABLE[k + 1] - _ENCODE_TABLE[k]) * (t - np.float32(k))
    else:
        r = _encode_one(v)
    return r


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _decode_rows(src, dst, first, last):  # type: ignore[no-untyped-def]
    for y in range(first, last):
        for x in range(src.shape[1]):
            for c in range(src.shape[2]):
                dst[y, x, c] = decode_near(src[y, x, c])


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _encode_rows(src, dst, first, last):  # type: ignore[no-untyped-def]
    for y in range(first, last):
        for x in range(src.shape[1]):
            for c in range(src.shape[2]):
                dst[y, x, c] = encode_near(src[y, x, c])


def _over_all(values: Floats, kernel) -> Floats:  # type: ignore[no-untyped-def]
    values = np.asarray(values, np.float32)
    out = np.empty(values.shape, np.float32)
    # Pictures are taken as they are, even as a slice of their channels; all else as one long row.
    src = values if values.ndim == 3 else np.ascontiguousarray(values).reshape(1, -1, 1)
    dst = out if values.ndim == 3 else out.reshape(1, -1, 1)
    run_bands(src.shape[0], lambda a, b: kernel(src, dst, a, b))
    return out


def to_linear(display: Floats) -> Floats:
    """Decode sRGB display values to linear light.

    Parameters
    ----------
    display : float32 array of any shape
        Display values, nominally in [0, 1]; values outside continue the curve,
        mirrored for negatives, so that float pictures survive.

    Returns
    -------
    float32 array of the same shape, linear light.

    References
    ----------
    IEC 61966-2-1:1999.
    """
    return _over_all(display, _decode_rows)


def to_display(linear: Floats) -> Floats:
    """Encode linear light as sRGB display values; the inverse of `to_linear`."""
    return _over_all(linear, _encode_rows)


def luminance(rgb: Floats) -> Floats:
    """Weighted sum 0.2126 R + 0.7152 G + 0.0722 B of an ``(..., 3)`` array (BT.709)."""
    return np.asarray(rgb[..., :3] @ LUMINANCE, np.float32)


def _decode_table(top: int) -> Floats:
    v = np.arange(top + 1, dtype=np.float64) / top
    return np.where(v <= 0.04045, v / 12.92, ((v + 0.055) / 1.055) ** 2.4).astype(np.float32)


DECODE_8 = _decode_table(255)
"""Linear light for each 8-bit display code."""

SCREEN_STEPS = 65535


@nb.njit(nogil=True, cache=True)
def decode_codes(values, table, out, first, last):  # type: ignore[no-untyped-def]
    """Decode colour that is whole 255ths by table, row by row; alpha goes along."""
    half, top = np.float32(0.5), np.float32(255)
    for y in range(first, last):
        for x in range(values.shape[1]):
            for c in range(3):
                v = min(max(values[y, x, c] * top + half, half), top + half)
                out[y, x, c] = table[int(v)]
            out[y, x, 3] = values[y, x, 3]


def _screen_table() -> NDArray[np.uint8]:
    v = np.arange(SCREEN_STEPS + 1, dtype=np.float64) / SCREEN_STEPS
    e = np.where(v <= 0.0031308, v * 12.92, 1.055 * v ** (1 / 2.4) - 0.055)
    return np.floor(e * 255 + 0.5).astype(np.uint8)


SCREEN = _screen_table()
"""8-bit display code for linear light in steps of 1/65535; only for drawing to the screen."""


@nb.njit(nogil=True, cache=True)
def _to_screen_rows(src, table, dst, first, last):  # type: ignore[no-untyped-def]
    top = np.float32(65535.0)
    for y in range(first, last):
        for x in range(src.shape[1]):
            for c in range(3):
                v = src[y, x, c]
                if not v > 0:
                    v = np.float32(0)
                elif v > 1:
                    v = np.float32(1)
                dst[y, x, c] = table[int(v * top + np.float32(0.5))]


def to_screen_rows(linear: Floats, out: NDArray[np.uint8], first: int, last: int) -> None:
    """`screen_rgb` for rows ``first`` to ``last`` only."""
    _to_screen_rows(linear, SCREEN, out, first, last)


def screen_rgb(linear: Floats) -> NDArray[np.uint8]:
    """Turn an ``(h, w, 3 or 4)`` linear picture into ``(h, w, 3)`` 8-bit display codes."""
    out = np.empty((*linear.shape[:2], 3), np.uint8)
    run_bands(linear.shape[0], lambda a, b: _to_screen_rows(linear, SCREEN, out, a, b))
    return out


def hex_of(rgb: tuple[float, float, float]) -> str:
    """Write a display colour in [0, 1] as ``#rrggbb``."""
    return "#" + "".join(f"{round(min(max(v, 0.0), 1.0) * 255):02x}" for v in rgb)

"""Kernels of `mivex.core.pixels.colour`."""

import numpy as np

from mivex.core.base.compile import inlined, kernel
from mivex.core.base.types import Floats


@inlined
def _decode_one(v):
    a = abs(v)
    if a <= np.float32(0.04045):
        r = a / np.float32(12.92)
    else:
        r = ((a + np.float32(0.055)) / np.float32(1.055)) ** np.float32(2.4)
    return r if v >= 0 else -r


@inlined
def _encode_one(v):
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
    return (
        np.where(v <= 0.04045, v / 12.92, ((v + 0.055) / 1.055) ** 2.4).astype(np.float32),
        np.where(root <= 0.0031308, root * 12.92, 1.055 * root ** (1 / 2.4) - 0.055).astype(np.float32),
    )


# Straight lines between table entries, at most 5e-7 beside the curve, at a fraction of the time of a power.
# The encoding one is spaced by the square root, since the curve is steep near black. Kernels hold both as constants:
# a table handed over as an argument would be counted in and out at every value.
_DECODE_TABLE, _ENCODE_TABLE = _tables()


@inlined
def decode_near(v):
    """Decode one display value. For kernels."""
    if 0 <= v <= 1:
        t = v * np.float32(4096)
        k = int(t)
        r = _DECODE_TABLE[k] + (_DECODE_TABLE[k + 1] - _DECODE_TABLE[k]) * (t - np.float32(k))
    else:
        r = _decode_one(v)
    return r


@inlined
def encode_near(v):
    """Encode one linear value. For kernels."""
    if 0 <= v <= 1:
        t = np.sqrt(v) * np.float32(4096)
        k = int(t)
        r = _ENCODE_TABLE[k] + (_ENCODE_TABLE[k + 1] - _ENCODE_TABLE[k]) * (t - np.float32(k))
    else:
        r = _encode_one(v)
    return r


@kernel
def decode_rows(src, dst, first, last):
    for y in range(first, last):
        for x in range(src.shape[1]):
            for c in range(src.shape[2]):
                dst[y, x, c] = decode_near(src[y, x, c])


@kernel
def encode_rows(src, dst, first, last):
    for y in range(first, last):
        for x in range(src.shape[1]):
            for c in range(src.shape[2]):
                dst[y, x, c] = encode_near(src[y, x, c])


@kernel
def decode_codes(values, table, out, first, last):
    """Decode colour that is whole 255ths by table, row by row; alpha goes along."""
    half, top = np.float32(0.5), np.float32(255)
    for y in range(first, last):
        for x in range(values.shape[1]):
            for c in range(3):
                v = min(max(values[y, x, c] * top + half, half), top + half)
                out[y, x, c] = table[int(v)]
            out[y, x, 3] = values[y, x, 3]


@kernel
def to_screen_rows_kernel(src, table, dst, first, last):
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

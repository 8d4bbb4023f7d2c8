"""Colour transfer between display values and linear light.

References
----------
IEC 61966-2-1:1999, the sRGB transfer functions.
ITU-R BT.709-6, luminance weights.
"""

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats

_kernels = Lazy("mivex.core.pixels.kernels.colour")

LUMINANCE = np.array([0.2126, 0.7152, 0.0722], np.float32)
"""Weights of red, green and blue in luminance (BT.709)."""


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
    return _over_all(display, _kernels.decode_rows)


def to_display(linear: Floats) -> Floats:
    """Encode linear light as sRGB display values; the inverse of `to_linear`."""
    return _over_all(linear, _kernels.encode_rows)


def luminance(rgb: Floats) -> Floats:
    """Weighted sum 0.2126 R + 0.7152 G + 0.0722 B of an ``(..., 3)`` array (BT.709)."""
    return np.asarray(rgb[..., :3] @ LUMINANCE, np.float32)


def _decode_table(top: int) -> Floats:
    v = np.arange(top + 1, dtype=np.float64) / top
    # The piecewise curve of IEC 61966-2-1 in float64, rounded once.
    return np.where(v <= 0.04045, v / 12.92, ((v + 0.055) / 1.055) ** 2.4).astype(np.float32)


DECODE_8 = _decode_table(255)
"""Linear light for each 8-bit display code."""

SCREEN_STEPS = 65535


def _screen_table() -> NDArray[np.uint8]:
    v = np.arange(SCREEN_STEPS + 1, dtype=np.float64) / SCREEN_STEPS
    e = np.where(v <= 0.0031308, v * 12.92, 1.055 * v ** (1 / 2.4) - 0.055)
    # Rounded to the nearest code; on the screen a table of 16 bits is as good as the curve.
    return np.floor(e * 255 + 0.5).astype(np.uint8)


SCREEN = _screen_table()
"""8-bit display code for linear light in steps of 1/65535; only for drawing to the screen."""


def to_screen_rows(linear: Floats, out: NDArray[np.uint8], first: int, last: int) -> None:
    """`screen_rgb` for rows ``first`` to ``last`` only."""
    _kernels.to_screen_rows_kernel(linear, SCREEN, out, first, last)


def screen_rgb(linear: Floats) -> NDArray[np.uint8]:
    """Turn an ``(h, w, 3 or 4)`` linear picture into ``(h, w, 3)`` 8-bit display codes."""
    out = np.empty((*linear.shape[:2], 3), np.uint8)
    run_bands(linear.shape[0], lambda a, b: _kernels.to_screen_rows_kernel(linear, SCREEN, out, a, b))
    return out


def hex_of(rgb: tuple[float, float, float]) -> str:
    """Write a display colour in [0, 1] as ``#rrggbb``."""
    return "#" + "".join(f"{round(min(max(v, 0.0), 1.0) * 255):02x}" for v in rgb)

"""Synthetic pictures with known truth, drawn independently of the product's own drawing kit."""

import numpy as np


def srgb_decode(v):
    """IEC 61966-2-1 in double precision."""
    v = np.asarray(v, np.float64)
    return np.where(v <= 0.04045, v / 12.92, ((v + 0.055) / 1.055) ** 2.4)


def srgb_encode(v):
    """Inverse of `srgb_decode`."""
    v = np.asarray(v, np.float64)
    return np.where(v <= 0.0031308, v * 12.92, 1.055 * np.maximum(v, 0) ** (1 / 2.4) - 0.055)


def disc(n=128, solid=0.4, soft=0.3):
    """Alpha of a soft disc: 1 inside, a smooth slope, 0 outside; float64 (n, n)."""
    y, x = np.mgrid[:n, :n] + 0.5
    r = np.hypot(y - n / 2, x - n / 2) / n
    t = np.clip((solid + soft / 2 - r) / soft, 0, 1)
    return np.where(r < 0.49, t * t * (3 - 2 * t), 0)


def paint(n=128):
    """Colour with real variation: two hues over a slope; float64 (n, n, 3), inside [0.15, 0.95]."""
    y, x = np.mgrid[:n, :n] / n
    return np.stack([0.25 + 0.6 * x, 0.7 - 0.4 * y, 0.3 + 0.3 * np.sin(6 * x) * np.cos(5 * y)], axis=-1)


def rgba(rgb, alpha):
    """Join colour and alpha as float32."""
    return np.dstack([rgb, alpha]).astype(np.float32)


def cut_from(rgb, alpha, matte, space="display"):
    """A sprite whose soft texels still hold a matte, clear texels all of it."""
    a, B = alpha[..., None], np.asarray(matte, np.float64)
    if space == "display":
        return rgb * a + B * (1 - a)
    return srgb_encode(srgb_decode(rgb) * a + srgb_decode(B) * (1 - a))

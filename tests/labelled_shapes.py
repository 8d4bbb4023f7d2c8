"""Shapes and surfaces of which the labelled pictures are drawn."""

import cv2
import numpy as np
from scipy import ndimage
from sprites import srgb_decode, srgb_encode


def grid(h, w=None):
    """Pixel centres, y and x from −1 to 1 along the shorter side."""
    w = w or h
    y, x = np.mgrid[:h, :w] + 0.5
    s = min(h, w) / 2
    return (y - h / 2) / s, (x - w / 2) / s


def smooth(rng, h, w, cell):
    """Even noise from 0 to 1 with features of ``cell`` texels."""
    v = ndimage.gaussian_filter(rng.standard_normal((h, w)), cell, mode="wrap")
    v = (v - v.min()) / np.ptp(v)
    return v


def ball(h, w=None, r=0.7, soft=0.5, at=(0.0, 0.0)):
    """A soft ball; nothing beyond ``r``."""
    y, x = grid(h, w)
    t = np.clip((r - np.hypot(y - at[0], x - at[1])) / soft, 0, 1)
    return t * t * (3 - 2 * t)


def edge(distance, n):
    """Antialiased inside of a shape from its distance in units of half the shorter side."""
    return np.clip(0.5 - distance * n / 2, 0, 1)


def rect(h, w, hh, hw, r=0.1, at=(0.0, 0.0)):
    """A rectangle with round corners."""
    y, x = grid(h, w)
    dy, dx = np.abs(y - at[0]) - hh + r, np.abs(x - at[1]) - hw + r
    d = np.hypot(np.maximum(dy, 0), np.maximum(dx, 0)) + np.minimum(np.maximum(dy, dx), 0) - r
    return edge(d, min(h, w))


def polygon(n, points, aa=True):
    """A filled polygon of corners from −1 to 1."""
    big = np.zeros((n * 8, n * 8), np.uint8)
    cv2.fillPoly(big, [np.round((np.array(points) + 1) * n * 4).astype(np.int32)], 255)
    a = cv2.resize(big, (n, n), interpolation=cv2.INTER_AREA) / 255
    return a if aa else (a >= 0.5).astype(float)


def star(n, points=5, inner=0.4, r=0.85, turn=0.0):
    """Corners of a star."""
    k = np.arange(points * 2)
    t, d = np.pi * k / points + turn, np.where(k % 2, inner * r, r)
    return polygon(n, np.stack([d * np.sin(t), -d * np.cos(t)], axis=1))


def letters(h, w, words, size, thick):
    """Antialiased lettering."""
    a = np.zeros((h, w), np.uint8)
    for i, word in enumerate(words):
        cv2.putText(
            a, word, (4, int((i + 1) * h / (len(words) + 0.4))), cv2.FONT_HERSHEY_SIMPLEX, size, 255, thick, cv2.LINE_AA
        )
    return a / 255


def flat(alpha, rgb):
    """One colour everywhere, under clear texels too."""
    return np.broadcast_to(np.asarray(rgb, float), (*alpha.shape, 3)).copy()


def shaded(rng, alpha, rgb, much=0.25, cell=6):
    """A colour with grain of its own."""
    return np.clip(np.asarray(rgb) * (1 + much * (smooth(rng, *alpha.shape, cell)[..., None] * 2 - 1)), 0, 1)


def spread(rgb, alpha):
    """Under clear texels the nearest seen colour."""
    i = ndimage.distance_transform_edt(alpha <= 0, return_distances=False, return_indices=True)
    return rgb[tuple(i)]


def hide(rgb, alpha, colour):
    """Under clear texels one colour."""
    return np.where((alpha > 0)[..., None], rgb, np.asarray(colour, float))


def join(rgb, alpha):
    """RGBA in the 8 bits of a file."""
    return (np.rint(np.dstack([rgb, alpha]) * 255) / 255).astype(np.float32)


def lift(rgb, alpha):
    """Straight colour stored over black: as a careless premultiply leaves it."""
    return srgb_encode(srgb_decode(rgb) * alpha[..., None])

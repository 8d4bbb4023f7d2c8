"""Sheets of many kinds, drawn here, with the truth about their cells."""

import cv2
import numpy as np


def _noise(rng, n, step):
    k = rng.random((max(2, n // step),) * 2).astype(np.float32)
    return cv2.resize(k, (n, n), interpolation=cv2.INTER_CUBIC)


def _places(h, w):
    y, x = np.mgrid[:h, :w]
    return (y + 0.5) / h - 0.5, (x + 0.5) / w - 0.5


def puff(rng, h, w, t, wide=1.0):
    """Smoke that swells and thins out."""
    y, x = _places(h, w)
    n = cv2.resize(_noise(rng, 64, 10), (w, h))
    a = np.clip(((0.35 + 0.6 * t) * wide - np.hypot(x, y) * 2) * 3 + (n - 0.5) * 0.8, 0, 1) * (1 - 0.7 * t)
    return np.dstack([0.4 + 0.3 * n] * 3 + [a])


def drop(rng, h, w, t, wide=1.0):
    """A few droplets, others in every frame."""
    y, x = _places(h, w)
    a = np.zeros((h, w))
    for _ in range(rng.integers(1, 5)):
        cx, cy = rng.uniform(-0.25, 0.25, 2)
        a = np.maximum(a, np.clip((rng.uniform(0.05, 0.16) - np.hypot(x - cx, y - cy)) * h / 3, 0, 1))
    return np.dstack([np.full((h, w, 3), (0.7, 0.8, 0.9)), a])


def flame(rng, h, w, t, wide=1.0):
    """A flame that licks about on its foot."""
    y, x = _places(h, w)
    y = y + 0.5
    n = cv2.resize(_noise(rng, 64, 8), (w, h))
    a = np.clip((0.3 * wide * np.sqrt(y) - np.abs(x + (n - 0.5) * 0.3 * (1 - y))) * 8, 0, 1) * np.clip((y - 0.05) * 6, 0, 1)
    return np.dstack([np.ones((h, w)), 0.5 + 0.4 * y, 0.2 * y, a * (1 if wide > 1 else np.clip((1 - y) * 10, 0, 1))])


def leaf(rng, h, w, t, wide=1.0):
    """A leaf, another in every frame."""
    y, x = _places(h, w)
    turn = rng.uniform(0, np.pi)
    u, v = x * np.cos(turn) + y * np.sin(turn), -x * np.sin(turn) + y * np.cos(turn)
    a = np.clip((0.42 - np.hypot(u, v * rng.uniform(2, 4))) * h / 2, 0, 1)
    return np.dstack([np.full((h, w, 3), rng.uniform(0.2, 0.6, 3)), a])


def sheet(seed, draw, cols, rows, cw, ch, *, count=0, line=0, wide=1.0, black=False, rim=False):
    """A sheet; ``line``: a drawn line between cells, ``rim``: also round them, ``black``: without alpha."""
    rng = np.random.default_rng(seed)
    count = count or cols * rows
    more = 1 if rim else -1
    out = np.zeros((rows * ch + (rows + more) * line, cols * cw + (cols + more) * line, 4), np.float32)
    if line:
        out[:] = (0.9, 0.1, 0.6, 1)
    for k in range(cols * rows):
        x, y = ((k % cols) * (cw + line) + line * rim, (k // cols) * (ch + line) + line * rim)
        out[y : y + ch, x : x + cw] = draw(rng, ch, cw, k / max(count - 1, 1), wide) if k < count else 0
    if black:
        out[..., :3] *= out[..., 3:]
        out[..., 3] = 1
    return np.round(out * 255).astype(np.float32) / np.float32(255)


SHEETS = (
    (puff, 8, 8, 64, 64, {}),
    (puff, 4, 4, 128, 128, {"wide": 1.35}),
    (puff, 5, 5, 100, 100, {"count": 23}),
    (puff, 6, 5, 85, 102, {"wide": 1.35}),
    (flame, 8, 4, 60, 120, {"wide": 1.5}),
    (flame, 6, 6, 100, 100, {}),
    (flame, 10, 1, 50, 90, {"wide": 1.5}),
    (drop, 4, 4, 64, 64, {}),
    (drop, 8, 2, 75, 75, {}),
    (drop, 3, 3, 90, 90, {"count": 7}),
    (leaf, 4, 2, 128, 128, {}),
    (leaf, 5, 3, 96, 96, {}),
    (leaf, 2, 2, 200, 200, {}),
    (puff, 7, 7, 73, 73, {"line": 1}),
    (flame, 6, 4, 80, 120, {"line": 2, "wide": 1.5}),
    (drop, 5, 5, 90, 90, {"line": 3, "rim": True}),
    (leaf, 4, 4, 70, 70, {"line": 1, "rim": True, "count": 13}),
    (puff, 5, 4, 100, 100, {"black": True}),
    (flame, 8, 8, 64, 64, {"black": True, "wide": 1.5}),
    (puff, 16, 16, 32, 32, {}),
    (puff, 1, 8, 120, 60, {}),
    (leaf, 6, 2, 77, 130, {"line": 2}),
    (drop, 6, 6, 50, 50, {"count": 31}),
)
"""Draw, columns, rows, width and height of a cell, and the rest."""


def singles():
    """Pictures that are no sheets."""
    rng = np.random.default_rng(9)
    n, coarse = _noise(rng, 256, 16), _noise(rng, 512, 40)
    y, x = np.mgrid[:256, :256]
    r = np.hypot(x - 128, y - 128) / 128
    white = np.ones((256, 256, 3))
    return {
        "puff": puff(rng, 256, 256, 0.3),
        "flame": flame(rng, 256, 128, 0.3),
        "leaf": leaf(rng, 200, 200, 0),
        "drops": drop(rng, 256, 256, 0),
        "cloud": np.dstack([n, n, n, np.clip(n * 2 - 0.7, 0, 1)]),
        "stain": np.dstack([coarse * 0.3] * 3 + [np.clip(coarse * 3 - 1.4, 0, 1)]),
        "ring": np.dstack([white, np.clip(1 - np.abs(r - 0.8) * 20, 0, 1)]),
        "disc": np.dstack([white, np.clip((0.9 - r) * 60, 0, 1)]),
    }

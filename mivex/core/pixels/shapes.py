"""Small drawing kit: signed distances to shapes, exact coverage, seeded noise.

Used for the dock's surfaces and for the demo's pictures. Distances are in
pixels, negative inside.
"""

import numpy as np

from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats

cv2 = Lazy("cv2")


def grid(height: int, width: int) -> tuple[Floats, Floats]:
    """Pixel centres as ``(y, x)`` arrays of shape (height, width)."""
    y, x = np.mgrid[:height, :width].astype(np.float32)
    return y + np.float32(0.5), x + np.float32(0.5)


def filled(distance: Floats, soft: float = 1.0) -> Floats:
    """Coverage of a pixel by the inside of a shape whose edge is ``soft`` pixels wide."""
    return np.clip(np.float32(0.5) - distance / np.float32(soft), 0, 1)


def circle(y: Floats, x: Floats, cy: float, cx: float, r: float) -> Floats:
    """Distance to a circle."""
    return (np.hypot(y - cy, x - cx) - r).astype(np.float32)


def box(y: Floats, x: Floats, cy: float, cx: float, hh: float, hw: float, r: float = 0.0) -> Floats:
    """Distance to a rectangle of half sizes ``hh``, ``hw`` with rounded corners."""
    dy, dx = np.abs(y - cy) - hh + r, np.abs(x - cx) - hw + r
    return (np.hypot(np.maximum(dy, 0), np.maximum(dx, 0)) + np.minimum(np.maximum(dy, dx), 0) - r).astype(np.float32)


def segment(y: Floats, x: Floats, a: tuple[float, float], b: tuple[float, float], r: float) -> Floats:
    """Distance to a stroke of half width ``r`` from ``a`` to ``b``, each (y, x)."""
    ey, ex = b[0] - a[0], b[1] - a[1]
    t = np.clip(((y - a[0]) * ey + (x - a[1]) * ex) / max(ey * ey + ex * ex, 1e-6), 0, 1)
    return (np.hypot(y - a[0] - t * ey, x - a[1] - t * ex) - r).astype(np.float32)


def polygon(y: Floats, x: Floats, points: list[tuple[float, float]]) -> Floats:
    """Distance to a closed polygon of (y, x) corners (even-odd inside)."""
    best = np.full(y.shape, np.inf, np.float32)
    inside = np.zeros(y.shape, bool)
    for (ay, ax), (by, bx) in zip(points, points[1:] + points[:1], strict=True):
        best = np.minimum(best, segment(y, x, (ay, ax), (by, bx), 0))
        if ay != by:
            crosses = (ay > y) != (by > y)
            inside ^= crosses & (x < (bx - ax) * (y - ay) / (by - ay) + ax)
    return np.where(inside, -best, best).astype(np.float32)


def noise(height: int, width: int, cell: float, seed: int, octaves: int = 4, *, tile: bool = False) -> Floats:
    """Fractal noise of mean 0.5, spread to about 0 to 1; ``cell`` is the largest feature in pixels."""
    rng = np.random.default_rng(seed)
    total = np.zeros((height, width), np.float32)
    weight = 1.0
    for _ in range(octaves):
        h, w = max(2, round(height / cell)), max(2, round(width / cell))
        rough = rng.random((h, w)).astype(np.float32)
        pad = 3
        rough = np.pad(rough, pad, mode="wrap" if tile else "reflect" if min(h, w) > pad else "edge")
        big = cv2.resize(
            rough, (round((w + 2 * pad) * width / w), round((h + 2 * pad) * height / h)), interpolation=cv2.INTER_CUBIC
        )
        oy, ox = round(pad * height / h), round(pad * width / w)
        total += np.float32(weight) * (big[oy : oy + height, ox : ox + width] - np.float32(0.5))
        weight *= 0.5
        cell = max(1.0, cell / 2)
    return np.clip(total * np.float32(0.9) + np.float32(0.5), 0, 1)


def over(base: Floats, colour: tuple[float, float, float], cover: Floats) -> Floats:
    """Lay one colour over an ``(h, w, 3)`` picture by coverage."""
    return base + (np.array(colour, np.float32) - base) * cover[..., None]

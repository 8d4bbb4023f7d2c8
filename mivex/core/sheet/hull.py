"""A polygon round what is seen of a frame, with few corners.

It starts as the convex hull of the texels' corners; then the side whose removal adds least area goes, until few enough
are left. Sides only ever move outwards, so nothing that it held is lost.
"""

from dataclasses import dataclass

import numpy as np

from mivex.core.base.types import Doubles, Floats


@dataclass(frozen=True, eq=False)
class Hull:
    """The polygon of a frame.

    Attributes
    ----------
    corners : float64 array (n, 2)
        As shares of the cell, counter-clockwise as seen with y down the picture upwards (clockwise on screen).
    area : float
        Share of the cell's area.
    """

    corners: Doubles
    area: float


_CELL = np.array([(0.0, 0.0), (1.0, 0.0), (1.0, 1.0), (0.0, 1.0)])


def area_of(polygon: Doubles) -> float:
    """Area of a polygon (n, 2)."""
    x, y = polygon[:, 0], polygon[:, 1]
    return float(abs(np.dot(x, np.roll(y, -1)) - np.dot(y, np.roll(x, -1))) / 2)


def _without(polygon: Doubles, k: int) -> tuple[float, Doubles] | None:
    """The polygon without side k, its neighbours drawn out to meet, and the area that this adds; None: they do not meet."""
    n = len(polygon)
    a, b, c, d = (polygon[(k + j) % n] for j in (-1, 0, 1, 2))
    # Both neighbours as lines; where they cross is the new corner.
    p, q = b - a, d - c
    det = p[0] * q[1] - p[1] * q[0]
    if abs(det) < 1e-12:
        return None
    t = ((c - a)[0] * q[1] - (c - a)[1] * q[0]) / det
    # Along its last side the meeting place lies before c: at or below 0, measured from c towards d.
    s = ((c - a)[0] * p[1] - (c - a)[1] * p[0]) / det
    # They meet on the other side: the polygon would turn inside out.
    if t < 1 or s > 0:
        return None
    meet = a + p * t
    added = abs((b - meet)[0] * (c - meet)[1] - (b - meet)[1] * (c - meet)[0]) / 2
    rest = np.delete(polygon, (k + 1) % n, axis=0)
    rest[k if (k + 1) % n else k - 1] = meet
    return float(added), rest


def hull_of(alpha: Floats, corners: int, limit: float) -> Hull:
    """The polygon that holds every texel of a frame whose alpha is above a limit.

    Parameters
    ----------
    alpha : float32 array (height, width)
    corners : int
        At most so many, 4 to 8.
    limit : float
        Alpha.

    Returns
    -------
    Hull
        Inside the cell; the cell itself where nothing is saved or seen.
    """
    import cv2

    h, w = alpha.shape
    seen = alpha > limit
    if not seen.any():
        return Hull(_CELL.copy(), 1.0)
    # The four corners of every texel, not its middle: the polygon has to hold all of it.
    y, x = np.nonzero(seen)
    points = np.unique(np.concatenate([np.stack([x + i, y + j], axis=1) for i in (0, 1) for j in (0, 1)]), axis=0)
    made = cv2.convexHull(points.astype(np.int32)).reshape(-1, 2).astype(np.float64) / (w, h)
    # One side at a time, always the cheapest: few corners, and no search over all sets of them.
    while len(made) > corners:
        found = [f for k in range(len(made)) if (f := _without(made, k)) is not None]
        if not found:
            return _box(made)
        made = min(found, key=lambda f: f[0])[1]
    made = _clipped(made)
    # Drawn out beyond the cell and cut off there, it may have gained corners.
    if len(made) > corners or area_of(made) >= 1 - 1e-9:
        return _box(made)
    boxed = _box(made)
    # A box is convex too, and sometimes smaller than what is left after drawing sides out.
    return boxed if boxed.area <= area_of(made) else Hull(made, area_of(made))


def _box(polygon: Doubles) -> Hull:
    (x0, y0), (x1, y1) = np.clip(polygon.min(axis=0), 0, 1), np.clip(polygon.max(axis=0), 0, 1)
    return Hull(np.array([(x0, y0), (x1, y0), (x1, y1), (x0, y1)]), float((x1 - x0) * (y1 - y0)))


def _clipped(polygon: Doubles) -> Doubles:
    """What of a convex polygon lies in the cell (Sutherland and Hodgman 1974)."""
    for axis, bound, sign in ((0, 0.0, 1), (0, 1.0, -1), (1, 0.0, 1), (1, 1.0, -1)):
        rows = []
        for a, b in zip(polygon, np.roll(polygon, -1, axis=0), strict=True):
            da, db = (a[axis] - bound) * sign, (b[axis] - bound) * sign
            if da >= -1e-12:
                rows.append(a)
            if (da > 1e-12 and db < -1e-12) or (da < -1e-12 and db > 1e-12):
                rows.append(a + (b - a) * (da / (da - db)))
        polygon = np.array(rows)
    # Clipping leaves corners twice where a corner lies on the border.
    keep = np.linalg.norm(polygon - np.roll(polygon, 1, axis=0), axis=1) > 1e-9
    return np.asarray(np.clip(polygon[keep], 0, 1))


def hulls(alphas: list[Floats], corners: int, limit: float, *, each: bool) -> list[Hull]:
    """The polygons of all frames; one for all of them unless ``each``. Frames are of one size."""
    if each:
        return [hull_of(a, corners, limit) for a in alphas]
    # The largest alpha of all frames at each place: whatever frame is shown lies within.
    return [hull_of(np.max(alphas, axis=0), corners, limit)] * len(alphas)

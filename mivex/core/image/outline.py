"""Signed Euclidean distance to a picture's outline, finer than a texel.

The outline is where alpha, joined linearly between texel centres, passes a
value (0.5). In each square of four centres it is a straight piece (marching
squares). The nearest such square is found exactly; its pieces, and those of
its neighbours as long as they come nearer, give the distance.

References
----------
Lorensen and Cline (1987), *Marching Cubes*, in two dimensions; Gustavson and
Strand (2011), *Anti-aliased Euclidean distance transform*, for why the outline
must be taken from grey values.
"""

from dataclasses import dataclass

import cv2
import numba as nb
import numpy as np

from mivex.core.bands import run_bands
from mivex.core.image.nearest import nearest
from mivex.core.types import Floats

FAR = 1e6
"""Distance where there is no outline at all."""
FAR_SOFT = 48.0
"""Soft edges are followed so many texels from their outline."""


@dataclass(frozen=True, eq=False)
class Outline:
    """Distance of every texel centre from the outline.

    Attributes
    ----------
    distance : float32 array (height, width)
        Texels; negative inside. Up to the limit asked for right to 0.06 where the edge is soft. At an edge one
        texel wide, whose values are clipped, to 0.1 near it and to 0.2 far from it. Where two stretches of outline
        are about equally near, a rare texel may be off by up to a half. Beyond the limit to within one.
    inward : float32 array (height, width, 2)
        Unit vector (y, x) across the outline towards higher alpha; zero beyond the limit.
    reach : float
        How far soft texels reach from the outline, where that was asked for.
    """

    distance: Floats
    inward: Floats
    reach: float = 0.0


@nb.njit(nogil=True, cache=True, inline="always")
def _cut(a, b, at):  # type: ignore[no-untyped-def]
    return (at - a) / (b - a)


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _mark_rows(alpha, at, cells, first, last):  # type: ignore[no-untyped-def]
    """Zero in ``cells`` wherever the square to the right of and below a texel holds outline."""
    h, w = alpha.shape
    for y in range(first, min(last, h - 1)):
        for x in range(w - 1):
            n = ((alpha[y, x] >= at) + (alpha[y, x + 1] >= at) + (alpha[y + 1, x] >= at) + (alpha[y + 1, x + 1] >= at))
            if 0 < n < 4:
                cells[y, x] = 0


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _pieces(alpha, at, places, out):  # type: ignore[no-untyped-def]
    """The one or two straight pieces in each marked square: y0, x0, y1, x1 each; NaN where there is no second."""
    w = alpha.shape[1]
    for k in range(places.size):
        y, x = places[k] // w, places[k] % w
        a, b, c, d = alpha[y, x], alpha[y, x + 1], alpha[y + 1, x], alpha[y + 1, x + 1]
        py, px = np.empty(4, np.float32), np.empty(4, np.float32)
        n = 0
        # Round the square: top, right, bottom, left.
        if (a >= at) != (b >= at):
            py[n], px[n] = 0, _cut(a, b, at)
            n += 1
        if (b >= at) != (d >= at):
            py[n], px[n] = _cut(b, d, at), 1
            n += 1
        if (c >= at) != (d >= at):
            py[n], px[n] = 1, _cut(c, d, at)
            n += 1
        if (a >= at) != (c >= at):
            py[n], px[n] = _cut(a, c, at), 0
            n += 1
        i, j, m, o = 0, 1, 2, 3
        if n == 4 and ((a >= at) == ((a + b + c + d) * np.float32(0.25) >= at)):
            # Opposite corners joined through the middle: the pieces cut off the two others.
            i, j, m, o = 0, 1, 2, 3
        elif n == 4:
            i, j, m, o = 3, 0, 1, 2
        out[k, 0], out[k, 1], out[k, 2], out[k, 3] = py[i] + y, px[i] + x, py[j] + y, px[j] + x
        if n == 4:
            out[k, 4], out[k, 5], out[k, 6], out[k, 7] = py[m] + y, px[m] + x, py[o] + y, px[o] + x
        else:
            out[k, 4] = np.nan


@nb.njit(nogil=True, cache=True, error_model="numpy", inline="always")
def _to_piece(y, x, y0, x0, y1, x1):  # type: ignore[no-untyped-def]
    """Squared distance to a straight piece, and the vector there."""
    ey, ex = y1 - y0, x1 - x0
    long = ey * ey + ex * ex
    t = np.float32(0)
    if long > 0:
        t = min(max(((y - y0) * ey + (x - x0) * ex) / long, np.float32(0)), np.float32(1))
    dy, dx = y0 + t * ey - y, x0 + t * ex - x
    return dy * dy + dx * dx, dy, dx


_LOOK = np.array([[0, 0], [2, 0], [-2, 0], [0, 2], [0, -2], [3, 3], [3, -3], [-3, 3], [-3, -3]])


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _distance_rows(alpha, at, rough, index, number, cells, pieces, limit, out, inward, first, last):  # type: ignore[no-untyped-def]
    h, w = alpha.shape
    for y in range(first, last):
        fy = np.float32(y)
        for x in range(w):
            inside = alpha[y, x] >= at
            near = rough[y, x]
            if near > limit + 3:
                out[y, x] = -near if inside else near
                continue
            fx = np.float32(x)
            best, by, bx = np.float32(1e12), np.float32(0), np.float32(0)
            # Another stretch of the outline may pass nearer than that of the nearest square: the neighbours know of it.
            start, closest = index[y, x], np.float32(1e12)
            for k in range(_LOOK.shape[0]):
                j, i = min(max(y + _LOOK[k, 0], 0), h - 1), min(max(x + _LOOK[k, 1], 0), w - 1)
                other = index[j, i]
                if k == 0 or other != start:
                    m = number[other]
                    d, dy, dx = _to_piece(fy, fx, pieces[m, 0], pieces[m, 1], pieces[m, 2], pieces[m, 3])
                    if d < closest:
                        closest, start = d, other
            cy, cx = start // w, start % w
            moved = True
            while moved:
                moved = False
                ny, nx = cy, cx
                for j in range(max(cy - 1, 0), min(cy + 2, h - 1)):
                    for i in range(max(cx - 1, 0), min(cx + 2, w - 1)):
                        if cells[j, i] != 0:
                            continue
                        m = number[j * w + i]
                        d, dy, dx = _to_piece(fy, fx, pieces[m, 0], pieces[m, 1], pieces[m, 2], pieces[m, 3])
                        if d < best - np.float32(1e-6):
                            best, by, bx, ny, nx, moved = d, dy, dx, j, i, True
                        if pieces[m, 4] == pieces[m, 4]:
                            d, dy, dx = _to_piece(fy, fx, pieces[m, 4], pieces[m, 5], pieces[m, 6], pieces[m, 7])
                            if d < best - np.float32(1e-6):
                                best, by, bx, ny, nx, moved = d, dy, dx, j, i, True
                if ny == cy and nx == cx:
                    moved = False
                cy, cx = ny, nx
            d = np.sqrt(best)
            if d > np.float32(0.02):
                sign = np.float32(-1) if inside else np.float32(1)
                inward[y, x, 0], inward[y, x, 1] = sign * by / d, sign * bx / d
            else:
                # On the outline: across it, by the slope of alpha.
                gy = alpha[min(y + 1, h - 1), x] - alpha[max(y - 1, 0), x]
                gx = alpha[y, min(x + 1, w - 1)] - alpha[y, max(x - 1, 0)]
                g = max(np.sqrt(gy * gy + gx * gx), np.float32(1e-9))
                inward[y, x, 0], inward[y, x, 1] = gy / g, gx / g
            out[y, x] = -d if inside else d


def trace(alpha: Floats, limit: float = FAR, at: float = 0.5, *, soft: bool = False) -> Outline:
    """Find the outline and the distance of every texel centre from it.

    Parameters
    ----------
    alpha : float32 array (height, width)
    limit : float
        Up to this distance, in texels, the result is exact; a small limit is quick.
    at : float
        Value of alpha on the outline.
    soft : bool
        The limit counts from where alpha is 0 or 1, not from the outline (up to `FAR_SOFT` texels).

    Returns
    -------
    Outline
        `FAR` everywhere (negative where all is inside) if there is no outline.
    """
    alpha = np.ascontiguousarray(alpha, np.float32)
    at32 = np.float32(at)
    h, w = alpha.shape
    inward: Floats = np.zeros((h, w, 2), np.float32)
    cells = np.ones((h, w), np.uint8)
    run_bands(h, lambda a, b: _mark_rows(alpha, at32, cells, a, b))
    places = np.flatnonzero(cells == 0)
    if places.size == 0:
        return Outline(np.where(alpha >= at32, np.float32(-FAR), np.float32(FAR)), inward)
    pieces = np.empty((places.size, 8), np.float32)
    _pieces(alpha, at32, places, pieces)
    index, rough = nearest(cells == 0)
    reach = 0.0
    if soft:
        reach = min(float(rough.max(where=(alpha > 0) & (alpha < 1), initial=0.0)), FAR_SOFT)
        limit += reach
    # Number of the piece in each marked square.
    number = np.full(h * w, -1, np.int32)
    number[places] = np.arange(places.size, dtype=np.int32)
    out = np.empty((h, w), np.float32)
    most = np.float32(min(limit, FAR))
    run_bands(h, lambda a, b: _distance_rows(alpha, at32, rough, index, number, cells, pieces, most, out, inward, a, b),
              per_worker=8)
    return Outline(out, inward, reach)


def outline_points(alpha: Floats, at: float = 0.5) -> Floats:
    """Middles of the outline's straight pieces, float32 (n, 2) as y, x in texel centres."""
    alpha = np.ascontiguousarray(alpha, np.float32)
    cells = np.ones(alpha.shape, np.uint8)
    _mark_rows(alpha, np.float32(at), cells, 0, alpha.shape[0])
    places = np.flatnonzero(cells == 0)
    pieces = np.empty((places.size, 8), np.float32)
    if places.size:
        _pieces(alpha, np.float32(at), places, pieces)
    return (pieces[:, 0:2] + pieces[:, 2:4]) / 2


def outline_error(alpha: Floats, reference: Floats, at: float = 0.5) -> tuple[float, float]:
    """How far the outline that a texture gives lies from the true one.

    The texture is read bilinearly, as hardware magnifies it, at eight times its
    size, and every point of its outline is measured against that of the reference.

    Parameters
    ----------
    alpha : float32 array (h, w)
        Of the texture.
    reference : float32 array (H, W)
        Of the same shape, as fine or finer; its outline at 0.5 is the truth.
    at : float
        Value of ``alpha`` on its outline.

    Returns
    -------
    (mean, largest) in texels of the texture; (0, 0) where either has no outline.
    """
    h, w = alpha.shape
    k = 8 if max(h, w) <= 256 else 4 if max(h, w) <= 512 else 2
    fine = cv2.resize(np.ascontiguousarray(alpha, np.float32), (w * k, h * k), interpolation=cv2.INTER_LINEAR)
    points = outline_points(fine, at)
    if not len(points) or not (reference >= 0.5).any() or (reference >= 0.5).all():
        return 0.0, 0.0
    s = reference.shape[0] / h
    d = trace(reference, 4 * s + 4).distance
    y, x = (points[:, 0] + 0.5) / k * s - 0.5, (points[:, 1] + 0.5) / k * s - 0.5
    off = np.abs(cv2.remap(d, x.astype(np.float32)[:, None], y.astype(np.float32)[:, None], cv2.INTER_LINEAR,
                           borderMode=cv2.BORDER_REPLICATE)) / s
    return float(off.mean()), float(off.max())

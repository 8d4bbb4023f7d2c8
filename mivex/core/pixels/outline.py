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

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.pixels.nearest import nearest

cv2 = Lazy("cv2")

_kernels = Lazy("mivex.core.pixels.kernels.outline")

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
    # 0 marks a square that the outline goes through: that is what the distance transform counts from.
    cells = np.ones((h, w), np.uint8)
    run_bands(h, lambda a, b: _kernels.mark_rows(alpha, at32, cells, a, b))
    places = np.flatnonzero(cells == 0)
    if places.size == 0:
        return Outline(np.where(alpha >= at32, np.float32(-FAR), np.float32(FAR)), inward)
    pieces = np.empty((places.size, 8), np.float32)
    _kernels.pieces_kernel(alpha, at32, places, pieces)
    index, rough = nearest(cells == 0)
    reach = 0.0
    if soft:
        # How far out soft texels are is known only now; the limit counts from there.
        reach = min(float(rough.max(where=(alpha > 0) & (alpha < 1), initial=0.0)), FAR_SOFT)
        limit += reach
    # Number of the piece in each marked square.
    number = np.full(h * w, -1, np.int32)
    number[places] = np.arange(places.size, dtype=np.int32)
    out = np.empty((h, w), np.float32)
    most = np.float32(min(limit, FAR))
    run_bands(
        h,
        lambda a, b: _kernels.distance_rows(alpha, at32, rough, index, number, cells, pieces, most, out, inward, a, b),
        per_worker=8,
    )
    return Outline(out, inward, reach)


def outline_points(alpha: Floats, at: float = 0.5) -> Floats:
    """Middles of the outline's straight pieces, float32 (n, 2) as y, x in texel centres."""
    alpha = np.ascontiguousarray(alpha, np.float32)
    cells = np.ones(alpha.shape, np.uint8)
    _kernels.mark_rows(alpha, np.float32(at), cells, 0, alpha.shape[0])
    places = np.flatnonzero(cells == 0)
    pieces = np.empty((places.size, 8), np.float32)
    if places.size:
        _kernels.pieces_kernel(alpha, np.float32(at), places, pieces)
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
    off = (
        np.abs(
            cv2.remap(
                d,
                x.astype(np.float32)[:, None],
                y.astype(np.float32)[:, None],
                cv2.INTER_LINEAR,
                borderMode=cv2.BORDER_REPLICATE,
            )
        )
        / s
    )
    return float(off.mean()), float(off.max())

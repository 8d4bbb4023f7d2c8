"""What heights say: slopes, and for flat overlays the masks that a mesh would give.

References
----------
Scharr (2000), *Optimal Operators in Digital Image Processing*, for slopes. Height-field occlusion as the mean of
how far the neighbourhood stands above a place, against the reach.
"""

import math

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.layers.model import Geometry
from mivex.core.layers.patterns.base import smooth

cv2 = Lazy("cv2")
_kernels = Lazy("mivex.core.layers.kernels.heights")
STEEP = 0.05
"""At strength 1, a height that rises by 1 within so much of the shorter side is a slope of 45°."""


SEAM = 2.0
"""A step over the border of so many mean steps from texel to texel still goes on."""


def normals_of(height: Floats, short: float, strength: float) -> Floats:
    """Normals ``(−h_x, h_y, 1)``, normalised, stored as ``(n + 1)/2``, green up; float32 (h, w, 3).

    Parameters
    ----------
    height : float32 array (h, w)
    short : float
        Texels of the shorter side of the frame: slopes are counted against it, whatever the size.
    strength : float
        Below zero, hills become hollows.
    """
    flat = _padded(height, 1)
    out: Floats = np.empty((*flat.shape, 3), np.float32)
    # In the shorter side, so that a canvas of another size shows the same slope.
    k = np.float32(strength * STEEP * short)
    run_bands(flat.shape[0], lambda a, b: _kernels.normal_rows(flat, k, out, a, b))
    return np.ascontiguousarray(out[1:-1, 1:-1])


def _padded(height: Floats, by: int) -> Floats:
    """Heights carried on beyond the border: where they repeat, with what stands at the other side; else with the border.

    They repeat along an axis where they go on over the border about as they do everywhere.
    """
    flat = np.asarray(height, np.float32)
    for axis in (0, 1):
        # The mean step inside is the measure of what a seam may be: rough ground has rough seams.
        inside = float(np.abs(np.diff(flat, axis=axis)).mean()) if flat.shape[axis] > 1 else 0.0
        first, last = np.take(flat, 0, axis=axis), np.take(flat, -1, axis=axis)
        repeats = float(np.abs(first - last).mean()) <= SEAM * inside + 1e-6
        width = [(0, 0), (0, 0)]
        width[axis] = (by, by)
        flat = np.pad(flat, width, mode="wrap" if repeats else "edge")
    return np.ascontiguousarray(flat)


def _blurred(height: Floats, sigma: float) -> Floats:
    """Heights blurred by a Gaussian, going on beyond the border as `_padded` says."""
    # Four deviations hold all but six hundred-thousandths of a Gaussian.
    by = min(math.ceil(4 * sigma), max(height.shape))
    wide = _padded(height, by)
    soft = cv2.GaussianBlur(wide, (0, 0), sigma, borderType=cv2.BORDER_REPLICATE)
    return np.ascontiguousarray(soft[by:-by, by:-by])


def occlusion_of(height: Floats, short: float, reach: float, strength: float = 1.0) -> Floats:
    """Light that reaches each place: 1 on what stands out, less in hollows; float32 (h, w)."""
    out: Floats = np.ones(height.shape, np.float32)
    # Three widths: narrow cracks and wide hollows darken both, as rays of several lengths would.
    for part in (0.25, 0.5, 1.0):
        sigma = max(reach * short * part / 2, 0.3)
        around = _blurred(height, sigma)
        rise = np.maximum(around - height, 0) * np.float32(abs(strength) * STEEP / max(reach * part, 1e-6) * 2)
        # Saturating: a deep pit is dark, not blacker than black; a third for each width.
        out -= rise / (1 + rise) / np.float32(3)
    return np.clip(out, 0, 1)


def geometry_of_heights(g: Geometry, heights: Floats, size: tuple[int, int]) -> Floats:
    """A geometry mask of a flat overlay, from the heights of the layers below.

    Parameters
    ----------
    g : Geometry
    heights : float32 array (h, w), or of one texel
    size : (height, width)
    """
    h, w = size
    short = min(h, w)
    if g.kind == "position":
        x = ((np.arange(w, dtype=np.float32) + np.float32(0.5)) / w)[None]
        y = ((np.arange(h, dtype=np.float32) + np.float32(0.5)) / h)[:, None]
        t = {"right": x, "left": 1 - x, "down": y, "up": 1 - y}.get(g.axis, np.full((1, 1), 0.5, np.float32))
        return np.asarray(np.broadcast_to(np.clip((t - g.low) / max(g.high - g.low, 1e-3), 0, 1), size), np.float32)
    flat = np.ascontiguousarray(np.broadcast_to(heights, size), np.float32)
    if g.kind == "facing":
        n = normals_of(flat, short, 1.0) * 2 - 1
        way = {"right": n[..., 0], "left": -n[..., 0], "up": n[..., 1], "down": -n[..., 1], "front": n[..., 2]}
        return np.asarray(np.clip(way.get(g.axis, -n[..., 2]), 0, 1), np.float32)
    if g.kind == "occlusion":
        return 1 - occlusion_of(flat, short, g.reach)
    if g.kind == "thickness":
        return np.asarray(np.clip(0.5 - flat / 2, 0, 1), np.float32)
    # Curvature by the difference from a blurred height: hollows lie below it, edges above.
    around = _blurred(flat, max((g.reach if g.kind == "cavity" else g.size) * short / 2, 0.5))
    bent = (around - flat if g.kind == "cavity" else flat - around) * np.float32(6)
    return smooth(bent, 0.0, 0.6)

"""Patterns laid by where a texel lies on a mesh: seen from three sides and mixed by which way the surface faces."""

import math
from collections.abc import Callable

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Doubles, Floats
from mivex.core.layers.laying import pattern_laid
from mivex.core.layers.model import UvTransform
from mivex.core.layers.patterns.base import PatternParams
from mivex.core.stage.mesh import Mesh
from mivex.core.stage.surface_strokes import texel_owners

_kernels = Lazy("mivex.core.stage.kernels.space")
SHARPNESS = 4.0
"""Power of the normal's parts that weighs the views: at 45° two count a half each, at 30° the nearer nine tenths."""
FINEST, COARSEST = 2048, 64
"""Texels of a tile's side."""


def pattern_in_space(
    mesh: Mesh,
    pattern: PatternParams,
    how: UvTransform,
    size: tuple[int, int],
    uv_set: int,
    rows: Doubles,
    keep: Callable[[str, Callable[[], object]], object],
) -> Floats:
    """A pattern on a mesh's picture, the same on both sides of every seam of its UVs.

    Each texel reads the pattern's tile at its place as seen from the right, from above and from the front, weighed by
    the fourth power of the normal's part that way (triplanar mapping; Geiss 2007, *GPU Gems 3*, chapter 1). A view from the
    side has what is above at its top, so that what runs down does so.

    Parameters
    ----------
    mesh : Mesh
    pattern : PatternParams
    how : UvTransform
        Tiles into the longest side of the mesh, about its middle; shifted by shares of that side; turned in each view.
    size : (height, width)
    uv_set : int
    rows : float64 array (2, 3)
        The map that lays the UVs into the picture.
    keep : callable
        Makes the tile, or gives the one that was made before.

    Returns
    -------
    float32 array (height, width)
        0 beyond all islands and their gutters.
    """
    laid = texel_owners(mesh, size, uv_set, rows)
    low, high = mesh.bounds
    extent = max(float((high - low).max()), 1e-12)
    # As fine as it is shown.
    shown = extent / max(laid.usual, 1e-12) / max(how.across, how.down)
    side = int(min(max(2 ** math.ceil(math.log2(max(shown, 1))), COARSEST), FINEST))
    tile = np.asarray(pattern_laid(pattern, UvTransform(), (side, side), keep), np.float32)
    out: Floats = np.zeros(size, np.float32)
    c, s = math.cos(math.radians(how.turn)), math.sin(math.radians(how.turn))
    turn = np.array([[how.across * c, how.across * s], [-how.down * s, how.down * c]])
    shift = np.array([how.right, how.low])
    corners = np.ascontiguousarray((mesh.corners - (low + high) / 2) / extent)
    normals = np.ascontiguousarray(mesh.normal[mesh.index])
    args = (laid.owner, laid.uv, corners, normals, tile, turn, shift, SHARPNESS, out)
    run_bands(size[0], lambda a, b: _kernels.space_rows(*args, a, b))
    return out

"""Alpha for receivers that sum display values: what comes nearest to the sum of light over any backdrop."""

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.types import Floats
from mivex.core.pixels.colour import to_display, to_linear

BACKDROPS = (0.0, 0.25, 0.5, 0.75, 1.0)
"""Greys over which the sums are made as alike as one alpha can make them, display values."""
ADAPTED = ("Translucent", "Additive")
"""Blends whose alpha weighs a sum."""


def alpha_for_display(values: Floats, blend: str) -> Floats:
    """Alpha with which sums of display values come nearest to what sums of light would show.

    With display colour ``C``, backdrop ``B``, and ``R`` the display value of the true sum, Translucent gives
    ``B + a (C − B)`` and Additive ``B + a C`` there; ``a`` is the least squares fit over `BACKDROPS` and channels.

    Parameters
    ----------
    values : float32 array (height, width, 4)
        Display values with straight alpha.
    blend : str
        One of `ADAPTED`; alpha is left as it is with any other.

    Returns
    -------
    float32 array (height, width), in [0, 1]
        Where alpha is 0 or, in Translucent, 1, it stays so.
    """
    alpha = np.ascontiguousarray(values[..., 3])
    if blend not in ADAPTED:
        return alpha
    out = np.empty_like(alpha)
    added = blend == "Additive"

    def rows(top: int, low: int) -> None:
        c, a = values[top:low, :, :3], alpha[top:low, :, None]
        light = to_linear(np.ascontiguousarray(c))
        # Where the sum is cut off at white, more or less alpha changes nothing: such terms are left out, and as alpha
        # decides which they are, it is fitted anew with those of the fit before.
        fit = a[..., 0]
        for _ in range(3 if added else 1):
            above, below = np.zeros(a.shape[:2], np.float32), np.zeros(a.shape[:2], np.float32)
            for b in BACKDROPS:
                behind = to_linear(np.full(1, b, np.float32))[0]
                true = to_display(np.minimum(light * a + behind * (np.float32(1) if added else 1 - a), 1))
                step = np.where(np.float32(b) + fit[..., None] * c < 1, c, 0) if added else c - np.float32(b)
                above += ((true - np.float32(b)) * step).sum(axis=2)
                below += (step * step).sum(axis=2)
            fit = np.clip(np.divide(above, below, out=fit.copy(), where=below > 1e-6), 0, 1)
        out[top:low] = fit

    run_bands(alpha.shape[0], rows)
    out[alpha <= 0] = 0
    if not added:
        out[alpha >= 1] = 1
    return out

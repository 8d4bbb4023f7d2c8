"""Coverage of cutouts: the share of texels at or above the cutoff, kept at every mip level.

A box filter pulls alpha towards its mean, so a screen with many holes closes in
the distance and a thin mesh vanishes. Each level's alpha is scaled so that as
large a share of it passes the cutoff as at level 0.

References
----------
Castaño (2010), *Computing Alpha Mipmaps*.
"""

from dataclasses import dataclass, replace

import numpy as np

from mivex.core.base.types import Floats
from mivex.core.pixels.mips import MipChain


@dataclass(frozen=True)
class LevelCoverage:
    """Coverage of one mip level: as filtered, and the best that scaling its alpha can give."""

    level: int
    width: int
    height: int
    plain: float
    kept: float
    scale: float


def coverage(alpha: Floats, cutoff: float) -> float:
    """Share of texels with alpha at or above ``cutoff``."""
    return float((alpha >= np.float32(cutoff)).mean())


def scale_for(alpha: Floats, cutoff: float, wanted: float) -> float:
    """The factor for alpha that brings coverage at ``cutoff`` nearest to ``wanted``.

    Coverage is a staircase in the factor, so a bisection (Castaño 2010) would
    end on the step that it happens to straddle; sorting finds the best one.

    Parameters
    ----------
    alpha : float32 array
    cutoff : float
        Above 0.
    wanted : float
        Share, 0 to 1.
    """
    # Alphas as values with counts: the choice is among the picture's own alphas, however fine.
    values, counts = np.unique(alpha, return_counts=True)
    values, counts = values[::-1], counts[::-1]
    # Clear texels stay clear whatever they are multiplied by.
    seen = values > 1e-6
    values, passing = values[seen], np.cumsum(counts)[seen]
    # What can be had: none, or all texels down to one of the values; texels of one value pass together.
    choices = np.concatenate([[0], passing])
    chosen = int(np.abs(choices - wanted * alpha.size).argmin())
    if int((alpha >= np.float32(cutoff)).sum()) == int(choices[chosen]):
        return 1.0
    if chosen == 0:
        # Just below the largest: none passes.
        return 0.999 * cutoff / float(values[0])
    # Half way between the last that passes and the first that does not.
    last, next_one = float(values[chosen - 1]), float(values[chosen]) if chosen < values.size else 0.0
    # The cutoff over the wanted threshold: multiplied, that threshold comes to lie on the cutoff.
    return cutoff / max((last + next_one) / 2, 1e-6)


def keep_coverage(chain: MipChain, cutoff: float) -> MipChain:
    """The same chain with each level's alpha scaled to level 0's coverage; level 0 is untouched."""
    texels = chain.texels.copy()
    out = replace(chain, texels=texels)
    wanted = coverage(chain.level(0)[..., 3], cutoff)
    for i in range(1, chain.levels):
        level = out.level(i)
        # Cut at 1: alpha beyond it has no meaning in a file, and would change what is filtered from it.
        level[..., 3] = np.minimum(level[..., 3] * np.float32(scale_for(level[..., 3], cutoff, wanted)), 1)
    return out


def coverage_figures(chain: MipChain, cutoff: float) -> list[LevelCoverage]:
    """Coverage of every level as filtered and as it could be kept; ``chain`` as filtered."""
    wanted = coverage(chain.level(0)[..., 3], cutoff)
    rows = []
    for i in range(chain.levels):
        a = chain.level(i)[..., 3]
        k = 1.0 if i == 0 else scale_for(a, cutoff, wanted)
        kept = coverage(np.minimum(a * np.float32(k), 1), cutoff)
        rows.append(LevelCoverage(i, a.shape[1], a.shape[0], coverage(a, cutoff), kept, k))
    return rows


def best_cutoff(chain: MipChain, cutoff: float, least_side: int = 8) -> float:
    """The one cutoff for all levels that keeps coverage nearest to level 0's at ``cutoff``.

    For formats that hold a single level: the receiver builds the others, and a
    shifted cutoff is all that can be done. Levels below ``least_side`` do not
    count; each level counts alike.
    """
    levels = [
        np.sort(chain.level(i)[..., 3].reshape(-1))
        for i in range(chain.levels)
        if i == 0 or min(chain.widths[i], chain.heights[i]) >= least_side
    ]
    wanted = coverage(chain.level(0)[..., 3], cutoff)
    # In steps of a two-hundredth: an artist sets a cutoff no finer.
    tries = np.linspace(0.02, 0.98, 193)

    def off(c: float) -> float:
        return sum(abs(1 - np.searchsorted(a, np.float32(c)) / a.size - wanted) for a in levels)

    errors = np.array([off(c) for c in tries])
    good = np.flatnonzero(errors <= errors.min() + 1e-9)
    # Of cutoffs that are equally good the one nearest to what is set.
    return round(float(tries[good[np.abs(tries[good] - cutoff).argmin()]]), 3)

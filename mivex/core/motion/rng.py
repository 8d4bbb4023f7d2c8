"""Random numbers that belong to a particle: counted, not drawn.

Philox 4×64 with ten rounds (Salmon, Moraes, Dror and Shaw 2011, *Parallel random numbers: as easy as 1, 2, 3*), keyed by
seed and birth index; the counter says which property is meant. So every property of every particle has a number of its
own, and changing the range of one leaves all others as they are.
"""

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Doubles

_kernels = Lazy("mivex.core.motion.kernels.chance")
PROPERTIES = (
    "life",
    "width",
    "height",
    "turn",
    "spin",
    "speed",
    "towards",
    "around",
    "place_a",
    "place_b",
    "place_c",
    "place_d",
    "opacity",
    "tint",
    "frame",
    "drift",
    "look",
    "spare_a",
    "spare_b",
    "spare_c",
)
"""What of a particle is left to chance, in the order of its numbers."""


def chances(seed: int, stream: int | NDArray[np.int64], births: NDArray[np.int64], *, blocks: int = 5) -> Doubles:
    """Numbers in [0, 1) for particles, (n, 4 · blocks).

    Parameters
    ----------
    seed : int
    stream : int, or int64 array (n,)
        Which emitter, and which of its ways of emitting.
    births : int64 array (n,)
        Index of each particle in its stream.
    blocks : int
        Only the first so many times four of them.
    """
    n = len(births)
    out = np.empty((n, 4 * blocks))
    streams = np.ascontiguousarray(np.broadcast_to(np.asarray(stream, np.int64), n))
    _kernels.fill(seed, streams, np.ascontiguousarray(births, np.int64), blocks, out)
    return out

"""(c) `spread` of a 4096² picture."""

import numpy as np
from scipy import ndimage

from benchmarks.timing import line, medians
from mivex.core.picture.files import read_picture
from mivex.core.prepare.base import Context, Surface
from mivex.core.prepare.spread import Spread, run


def main() -> None:
    """Measure."""
    n = 4096
    rng = np.random.default_rng(3)
    y, x = np.mgrid[:n, :n].astype(np.float32)
    alpha = np.zeros((n, n), np.float32)
    for _ in range(60):
        cy, cx, r = rng.uniform(0, n), rng.uniform(0, n), rng.uniform(20, 300)
        alpha = np.maximum(alpha, np.clip((r - np.hypot(y - cy, x - cx)) / 20, 0, 1))
    values = np.dstack([rng.random((n, n, 3), np.float32), alpha])
    surface, context = Surface(values), Context(read_picture)

    def scipy_fill() -> None:
        index = ndimage.distance_transform_edt(alpha <= 0, return_distances=False, return_indices=True)
        values[tuple(index)]

    got = medians(
        3, lambda: run(surface, Spread(), context), scipy_fill, lambda: run(surface, Spread(method="smooth"), context)
    )
    line("nearest", got[0], "SciPy's distance transform and look-up", got[1], "1000 ms")
    line("smooth", got[2], "SciPy's distance transform and look-up", got[1], "–")

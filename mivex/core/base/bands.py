"""Run a kernel over bands of rows on every core.

Kernels are Numba functions that release the interpreter lock, so plain
threads are enough. Numba's own ``parallel=True`` is not used: its default
threading layer aborts the process when two threads enter it.
"""

import itertools
import os
from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor

WORKERS = max(1, os.cpu_count() or 1)
_pool = ThreadPoolExecutor(WORKERS, thread_name_prefix="mivex-band")
_alone = False


def one_core() -> None:
    """From now on this process uses a single core: others of its kind work beside it."""
    global _alone  # noqa: PLW0603
    _alone = True


def run_bands(rows: int, kernel: Callable[[int, int], object], per_worker: int = 2, least: int = 32) -> None:
    """Call ``kernel(first, last)`` for bands that together cover ``rows`` rows.

    Parameters
    ----------
    rows : int
        Number of rows, 0 or more.
    kernel : callable
        Takes the first row and the row after the last; must touch only these rows.
    per_worker : int
        Bands per core. More bands even out uneven work and cost more calls.
    least : int
        No band is thinner than this.

    Notes
    -----
    Never call it from inside a kernel: the pool would wait for itself.
    """
    bands = max(1, min(WORKERS * per_worker, rows // least))
    if bands == 1 or _alone:
        kernel(0, rows)
        return
    edges = [rows * i // bands for i in range(bands + 1)]
    for done in [_pool.submit(kernel, a, b) for a, b in itertools.pairwise(edges)]:
        done.result()

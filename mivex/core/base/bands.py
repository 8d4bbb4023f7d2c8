"""Run a kernel over bands of rows on every core.

Kernels are Numba functions that release the interpreter lock, so plain
threads are enough. Numba's own ``parallel=True`` is not used: its default
threading layer aborts the process when two threads enter it.
"""

import contextlib
import itertools
import os
import threading
from collections.abc import Callable, Iterator
from concurrent.futures import ThreadPoolExecutor, wait

from mivex.core.base.errors import Stopped

WORKERS = len(os.sched_getaffinity(0))
"""Cores that this process may use: a build farm may leave it fewer than there are."""
LONG = 1024
"""Rows from which a kernel may be stopped between its bands."""
_pool = ThreadPoolExecutor(WORKERS, thread_name_prefix="mivex-band")
_alone = False
_asked = threading.local()


@contextlib.contextmanager
def stoppable(stop: Callable[[], bool]) -> Iterator[None]:
    """Within this, kernels that this thread runs are asked between their bands whether to go on.

    Parameters
    ----------
    stop : callable
        True ends the work by Stopped; what the kernel was filling is then half done, and to be thrown away.
    """
    before = getattr(_asked, "stop", None)
    _asked.stop = stop
    try:
        yield
    finally:
        _asked.stop = before


def checkpoint() -> None:
    """Between two parts of long work: raises Stopped where whoever asked for it no longer wants it."""
    stop = getattr(_asked, "stop", None)
    if stop is not None and stop():
        raise Stopped


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
    stop = getattr(_asked, "stop", None)
    # Long work is cut finer where it may be stopped; small pictures are done before anybody could ask.
    finer = 4 if stop is not None and rows >= LONG else 1
    bands = max(1, min(WORKERS * per_worker * finer, rows // least))
    if bands == 1 or _alone:
        kernel(0, rows)
        return
    edges = [rows * i // bands for i in range(bands + 1)]
    jobs = [_pool.submit(kernel, a, b) for a, b in itertools.pairwise(edges)]
    try:
        for done in jobs:
            if finer > 1 and stop is not None and stop():
                raise Stopped
            done.result()
    except BaseException:
        # What is being filled goes away with the caller: nobody may be writing into it any more.
        for job in jobs:
            job.cancel()
        wait(jobs)
        raise

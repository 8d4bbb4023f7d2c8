"""Let the C library keep memory that is given back: pictures of the same size follow one another all the time.

Fresh pages cost more than the arithmetic that fills them (16 MB: 12 ms the first time, 2 ms when used again). By default
glibc maps every large array anew and gives it back at once; see ``mallopt(3)``.
"""

import contextlib
import ctypes
import gc
import os
import sys
import time
from collections.abc import Iterator
from pathlib import Path

_TRIM, _MAPPED = -1, -3
KEPT = 1 << 30
"""Bytes that may lie unused at the end of the heap before they are given back."""
MAPPED_FROM = 32 << 20
"""Arrays beyond it are mapped by themselves and given back at once; glibc allows no larger figure."""

RESERVE = 1 << 30
"""Bytes of the machine's that no cache takes: for what is being computed, and for others."""
_seen = [0.0, 1 << 40]


def available() -> int:
    """Bytes that the machine could give without swapping, as it was within the last second (``MemAvailable``)."""
    now = time.monotonic()
    if now - _seen[0] > 1.0:
        _seen[0] = now
        with contextlib.suppress(OSError, ValueError, IndexError):
            for line in Path("/proc/meminfo").read_text().splitlines():
                if line.startswith("MemAvailable:"):
                    _seen[1] = int(line.split()[1]) << 10
    return int(_seen[1])


def kept_bytes() -> int:
    """Bytes that a process may keep for looking to and fro: a quarter of the machine's, from 3 to 8 GB.

    ``MIVEX_KEPT_MB`` says otherwise: where many processes run side by side, or in tests.
    """
    asked = os.environ.get("MIVEX_KEPT_MB", "")
    if asked.isascii() and asked.isdigit():
        return int(asked) << 20
    return min(max(os.sysconf("SC_PHYS_PAGES") * os.sysconf("SC_PAGE_SIZE") // 4, 3 << 30), 8 << 30)


def room(used: int, limit: int) -> int:
    """Bytes that a cache which holds ``used`` may hold now.

    At most its limit, and never more than half of what the machine has left beyond `RESERVE`: processes that run side by
    side share what is free, and give back when it gets short.
    """
    return min(limit, used + max(available() - RESERVE, 0) // 2 if available() > RESERVE else used // 2)


def keep_memory() -> bool:
    """Ask for it; false where the C library is another one."""
    if not sys.platform.startswith("linux"):
        return False
    try:
        mallopt = ctypes.CDLL(None).mallopt
    except (OSError, AttributeError):
        return False
    return bool(mallopt(_MAPPED, MAPPED_FROM)) and bool(mallopt(_TRIM, KEPT))


@contextlib.contextmanager
def no_collecting() -> Iterator[None]:
    """Within this, Python does not look for circles among its objects.

    For work that makes tens of thousands of small lists at once: each few hundred of them the collector would look at all
    that there is, which takes longer than the work and grows with its square.
    """
    was = gc.isenabled()
    gc.disable()
    try:
        yield
    finally:
        if was:
            gc.enable()

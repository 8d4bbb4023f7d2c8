"""Let the C library keep memory that is given back: pictures of the same size follow one another all the time.

Fresh pages cost more than the arithmetic that fills them (16 MB: 12 ms the first time, 2 ms when used again). By default
glibc maps every large array anew and gives it back at once; see ``mallopt(3)``.
"""

import ctypes
import sys

_TRIM, _MAPPED = -1, -3
KEPT = 1 << 30
"""Bytes that may lie unused at the end of the heap before they are given back."""
MAPPED_FROM = 32 << 20
"""Arrays beyond it are mapped by themselves and given back at once; glibc allows no larger figure."""


def keep_memory() -> bool:
    """Ask for it; false where the C library is another one."""
    if not sys.platform.startswith("linux"):
        return False
    try:
        mallopt = ctypes.CDLL(None).mallopt
    except (OSError, AttributeError):
        return False
    return bool(mallopt(_MAPPED, MAPPED_FROM)) and bool(mallopt(_TRIM, KEPT))

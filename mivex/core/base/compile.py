"""How kernels are compiled: without the interpreter's lock, kept on disk, divisions as the machine does them."""

import os
from typing import Any

from mivex.core.base.compiled import can_keep, folder

if (_kept := folder()) is not None:
    os.environ["NUMBA_CACHE_DIR"] = str(_kept)  # read when Numba is imported

import numba as nb

_ALL: dict[str, Any] = {"nogil": True, "cache": can_keep(), "error_model": "numpy", "no_cfunc_wrapper": True}

kernel: Any = nb.njit(**_ALL)  # type: ignore[call-overload]
"""A kernel called from Python or from another kernel."""
inlined: Any = nb.njit(**_ALL, forceinline=True, no_cpython_wrapper=True)  # type: ignore[call-overload]
"""A small part of kernels, copied into whatever calls it, and not to be called from Python. Hand it addresses, not
arrays: these would be counted in and out at every call."""

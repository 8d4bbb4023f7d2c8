"""How kernels are compiled: without the interpreter's lock, kept on disk, divisions as the machine does them."""

from typing import Any

import numba as nb

_ALL: dict[str, Any] = {"nogil": True, "cache": True, "error_model": "numpy", "no_cfunc_wrapper": True}

kernel: Any = nb.njit(**_ALL)  # type: ignore[call-overload]
"""A kernel called from Python or from another kernel."""
inlined: Any = nb.njit(**_ALL, forceinline=True, no_cpython_wrapper=True)  # type: ignore[call-overload]
"""A small part of kernels, copied into whatever calls it, and not to be called from Python. Hand it addresses, not
arrays: these would be counted in and out at every call."""

"""How kernels are compiled: without the interpreter's lock, kept on disk, divisions as the machine does them."""

import numba as nb

kernel = nb.njit(nogil=True, cache=True, error_model="numpy")
"""A kernel called from Python or from another kernel."""
inlined = nb.njit(nogil=True, cache=True, error_model="numpy", forceinline=True)
"""A small part of kernels, copied into whatever calls it. Hand it addresses, not arrays: these would be counted in and
out at every call."""

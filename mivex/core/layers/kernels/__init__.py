"""Kernels of `mivex.core.layers`."""

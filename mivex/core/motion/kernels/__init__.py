"""Kernels of motion."""

"""Readers of delivered files that need nothing of Mivex: the specifications in code, free to be copied."""

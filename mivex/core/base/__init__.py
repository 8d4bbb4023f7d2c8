"""Errors, limits, settings, bands, the graph of nodes, files: what knows nothing of pictures."""

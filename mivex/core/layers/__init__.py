"""Layers: a stack of rows, each changing some channels of the surface, with a value, through a mask."""

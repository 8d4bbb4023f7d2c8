"""Mivex: the bench where see-through textures are prepared, blended and proved."""

__version__ = "0.1.0"

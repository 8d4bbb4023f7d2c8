"""Mivex: the bench where see-through textures are prepared, blended and proved."""

from mivex.core.base.memory import keep_memory

__version__ = "0.1.0"

keep_memory()

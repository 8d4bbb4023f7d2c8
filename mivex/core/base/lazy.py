"""Modules that are loaded when something of them is first used: a window opens without the compiler and its kernels."""

import importlib
from typing import Any


class Lazy:
    """Stands for a heavy module, and loads it at the first use of anything in it.

    Parameters
    ----------
    name : str
        The module's full name.
    """

    def __init__(self, name: str) -> None:
        self._name = name

    def __getattr__(self, item: str) -> Any:
        found = getattr(importlib.import_module(self._name), item)
        setattr(self, item, found)
        return found

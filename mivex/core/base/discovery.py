"""Finding what registers itself by standing in a module of a package: steps, patterns, findings, stations."""

import importlib
import pkgutil
from collections.abc import Iterator
from typing import Any


def found_in(package: str, paths: Any, name: str) -> Iterator[Any]:
    """Give what the modules of a package define under a name.

    Parameters
    ----------
    package : str
        Its name, ``mivex.core.prepare``.
    paths : iterable of str
        Its ``__path__``.
    name : str
        What is looked for, ``STEPS``; a module without it is passed over.

    Yields
    ------
    What the modules and those of packages within define, by the modules' names, so that the order is the same on every
    machine; of a tuple or list its entries.
    """
    for info in sorted(pkgutil.walk_packages(paths, f"{package}."), key=lambda m: m.name):
        held = getattr(importlib.import_module(info.name), name, None)
        if held is not None:
            yield from held if isinstance(held, tuple | list) else (held,)

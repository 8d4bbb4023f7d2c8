"""Preparation steps, one small module each.

A step is registered by being a module here that defines ``STEP``.
"""

import importlib
import pkgutil

from mivex.core.prepare.base import Step


def _discover() -> dict[str, Step]:
    found: dict[str, Step] = {}
    for info in sorted(pkgutil.iter_modules(__path__), key=lambda m: m.name):
        module = importlib.import_module(f"{__name__}.{info.name}")
        steps = getattr(module, "STEPS", None) or [s for s in [getattr(module, "STEP", None)] if s]
        for step in steps:
            found[step.name] = step
    return found


def register(step: Step) -> None:
    """Add a step that is defined elsewhere, above this package."""
    STEPS[step.name] = step


STEPS: dict[str, Step] = _discover()
"""Every step by the word that names it in a recipe."""

"""Patterns. A pattern is registered by standing in ``PATTERNS`` of a module here."""

import importlib
import pkgutil
from functools import reduce
from operator import or_
from typing import TYPE_CHECKING, Annotated

from pydantic import Field

from mivex.core.layers.patterns.base import Pattern, PatternParams


def _discover() -> dict[str, Pattern]:
    rows = [
        p
        for m in pkgutil.iter_modules(__path__)
        for p in getattr(importlib.import_module(f"{__name__}.{m.name}"), "PATTERNS", ())
    ]
    return {p.name: p for p in rows}


PATTERNS: dict[str, Pattern] = _discover()
"""Every pattern by the word that names it."""

if TYPE_CHECKING:
    AnyPattern = PatternParams
else:
    AnyPattern = Annotated[reduce(or_, [p.params for p in PATTERNS.values()]), Field(discriminator="kind")]

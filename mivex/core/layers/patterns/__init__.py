"""Patterns. A pattern is registered by standing in ``PATTERNS`` of a module here."""

from functools import reduce
from operator import or_
from typing import TYPE_CHECKING, Annotated

from pydantic import Field

from mivex.core.base.discovery import found_in
from mivex.core.layers.patterns.base import Pattern, PatternParams

PATTERNS: dict[str, Pattern] = {p.name: p for p in found_in(__name__, __path__, "PATTERNS")}
"""Every pattern by the word that names it."""

if TYPE_CHECKING:
    AnyPattern = PatternParams
else:
    AnyPattern = Annotated[reduce(or_, [p.params for p in PATTERNS.values()]), Field(discriminator="kind")]

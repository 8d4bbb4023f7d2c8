"""Preparation steps, one small module each.

A step is registered by being a module here that defines ``STEP``, one step or several; layers add theirs in
`mivex.core.project.recipe`, which stands above both.
"""

from mivex.core.base.discovery import found_in
from mivex.core.prepare.base import Step

STEPS: dict[str, Step] = {s.name: s for s in found_in(__name__, __path__, "STEP")}
"""Every step by the word that names it in a recipe."""

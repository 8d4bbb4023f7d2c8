"""Beginnings of effects, by purpose: each is meant to be changed. They stand in ``assets/effects/starters.json``."""

import json
from pathlib import Path

from pydantic import Field

from mivex.core.base.settings import Frozen
from mivex.core.motion.model import Effect, Emitter, Lamp

FILE = Path(__file__).parent.parent / "assets" / "effects" / "starters.json"


class Starter(Frozen):
    """One beginning.

    Attributes
    ----------
    title, what : str
        Its name, and what it is for.
    parts : tuple of Emitter
        Its emitters, which show nothing yet.
    lamp : Lamp
    height : float
        Metres above the floor at which it begins well.
    """

    title: str
    what: str
    parts: tuple[Emitter, ...]
    lamp: Lamp = Field(default_factory=Lamp)
    height: float = 0.3


_ROWS = json.loads(FILE.read_text(encoding="utf-8"))
STARTERS: dict[str, Starter] = {k: Starter.model_validate(v) for k, v in _ROWS.items()}
"""Every beginning by its key."""


def started(key: str, name: str, overlay: str, at: tuple[float, float, float] = (0.0, 0.5, 0.8)) -> Effect:
    """An effect from a beginning, whose emitters show an overlay (its id); they get ids of their own."""
    s = STARTERS[key]
    parts = tuple(Emitter.model_validate(p.model_dump(exclude={"id"}) | {"overlay": overlay}) for p in s.parts)
    return Effect(name=name, at=at, parts=parts, lamp=s.lamp)

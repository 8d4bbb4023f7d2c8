"""Receivers: what a program that draws delivered overlays does to them, as a picture of the test card told."""

import json
from pathlib import Path
from typing import Any

from pydantic import Field, ValidationError, field_validator

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, named, term
from mivex.core.base.settings import Frozen, setting
from mivex.core.base.store import write_text
from mivex.core.project.recipe import explain, read_json

RECEIVER_VERSION = 1
QUESTIONS: dict[str, tuple[str, ...]] = {
    "encoding": ("decoded", "as-data"),
    "transparency": ("on", "off"),
    "blending": ("linear", "display"),
    "alpha": ("straight", "twice", "taken-as-premultiplied"),
    "additive": ("added", "blended", "solid"),
    "multiply": ("multiplied", "blended", "solid"),
    "premultiplied": ("added", "not-seen"),
    "opacity": ("multiplies", "ignored"),
    "levels": ("of-the-file", "own"),
    "hidden": ("does-not-show", "shows"),
    "size": ("any", "64", "128", "256", "512", "1024", "2048", "4096"),
    "blocks": ("none", "compressed"),
    "cutout": ("at-half", "lower", "higher", "solid", "blended"),
    "order": ("far-to-near", "as-listed", "hides"),
    "nudge": ("followed", "ignored", "hides"),
    "write": ("followed", "ignored", "order-differs"),
    "blended-depth": ("does-not-write", "writes"),
    "green": ("up", "down", "flat"),
    "faces": ("as-said", "all-both", "all-front"),
    "repeat": ("repeats", "held-or-not-tiled"),
}
"""Every question that the test card asks, with its answers; the first is what the stage does."""
SWITCH_OF: dict[tuple[str, str], str] = {
    ("levels", "own"): "own-mips",
    ("encoding", "as-data"): "no-encoding",
    ("green", "down"): "green",
    ("blocks", "compressed"): "blocks",
    ("blending", "display"): "display",
    ("transparency", "off"): "opaque",
}
"""Answers that the intake can stand in for, with the switch that does it; a limited size besides."""


class Receiver(Frozen):
    """What one receiver does."""

    receiver: int = Field(RECEIVER_VERSION, description="Version of the format.")
    name: str = setting("Receiver", "Name", "What the receiver is called.")
    answers: dict[str, str] = Field(
        default_factory=dict, description="Answer to each question of the test card; a question that is open is left out."
    )

    @field_validator("answers")
    @classmethod
    def _known(cls, answers: dict[str, str]) -> dict[str, str]:
        for question, value in answers.items():
            if question not in QUESTIONS:
                raise ValueError(Message("the test card does not ask for “{question}”", question=question))
            if value not in QUESTIONS[question]:
                raise ValueError(
                    Message(
                        "“{value}” is no answer to “{question}”; there are {parts}",
                        value=value,
                        question=question,
                        parts=named(", ", QUESTIONS[question]),
                    )
                )
        return answers

    @property
    def switches(self) -> frozenset[str]:
        """Switches of the intake that stand in for it."""
        found = {SWITCH_OF[row] for row in self.answers.items() if row in SWITCH_OF}
        return frozenset(found | ({"smaller"} if self.longest else set()))

    @property
    def longest(self) -> int:
        """Longest side of a texture, texels; 0: any."""
        size = self.answers.get("size", "any")
        return 0 if size == "any" else int(size)

    def unlike(self) -> dict[str, str]:
        """Answers other than what the stage does."""
        return {q: v for q, v in self.answers.items() if v != QUESTIONS[q][0]}


def parse_receiver(data: Any, what: str) -> Receiver:
    """A receiver from the objects of a file; raises MivexError with one sentence."""
    if not isinstance(data, dict) or "receiver" not in data or "answers" not in data:
        raise MivexError(Message("{what} is no receiver’s profile.", what=term(what)))
    version = data["receiver"]
    if isinstance(version, int) and version > RECEIVER_VERSION:
        raise MivexError(
            Message(
                "{what} was made for a newer Mivex (receiver {version}; this one reads {own}).",
                what=term(what),
                version=version,
                own=RECEIVER_VERSION,
            )
        )
    try:
        return Receiver.model_validate(data)
    except ValidationError as e:
        raise MivexError(explain(e, what)) from None


def read_receiver(path: str | Path) -> Receiver:
    """Read a receiver's profile; raises MivexError with one sentence."""
    path = Path(path)
    return parse_receiver(read_json(path), f"“{path.name}”")


def save_receiver(path: str | Path, receiver: Receiver) -> None:
    """Write a receiver's profile, atomically."""
    write_text(path, json.dumps(receiver.model_dump(mode="json"), indent=2, ensure_ascii=False) + "\n")


def receiver_named(key: str, own: tuple[Receiver, ...] = ()) -> Receiver:
    """A receiver of the project by name, or from a ``.json`` file; raises MivexError."""
    for r in own:
        if r.name == key:
            return r
    if key.lower().endswith(".json"):
        return read_receiver(key)
    if not own:
        raise MivexError(
            Message(
                "There is no receiver “{key}”: name a file that “mivex card read --out” wrote, or one of the project’s.",
                key=key,
            )
        )
    raise MivexError(
        Message("There is no receiver “{key}”; the project has {parts}.", key=key, parts=named(", ", (r.name for r in own)))
    )

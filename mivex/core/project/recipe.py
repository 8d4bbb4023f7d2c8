"""Recipes: ordered lists of preparation steps, as they stand in projects and in recipe files."""

import json
from collections.abc import Callable
from functools import reduce
from operator import or_
from pathlib import Path
from typing import TYPE_CHECKING, Annotated, Any

from pydantic import BaseModel, ConfigDict, Field, ValidationError

from mivex.core.base.errors import MivexError, what_is_invalid
from mivex.core.base.messages import Message, named, term
from mivex.core.base.paths import read_bytes
from mivex.core.base.store import write_text
from mivex.core.layers.step import STEP as BUILD_STEP
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import StepParams

STEPS.setdefault(BUILD_STEP.name, BUILD_STEP)  # the one step that stands above the room of steps

if TYPE_CHECKING:
    AnyStep = StepParams
else:
    AnyStep = Annotated[reduce(or_, [s.params for s in STEPS.values()]), Field(discriminator="step")]


class Recipe(BaseModel):
    """A recipe file."""

    model_config = ConfigDict(frozen=True, defer_build=True, extra="allow")

    steps: tuple[AnyStep, ...] = ()


def explain(error: ValidationError, what: str) -> str:
    """One sentence for the first thing a file got wrong."""
    first = error.errors()[0]
    place = [str(p) for p in first["loc"] if str(p) not in STEPS]
    where = ".".join(place)
    tag = first.get("ctx", {}).get("tag")
    if first["type"] == "union_tag_invalid":
        return Message(
            "{what}: “{tag}” is not a step Mivex knows ({parts}).",
            what=term(what),
            tag=tag,
            parts=named(", ", sorted(STEPS)),
        )
    if first["type"] == "union_tag_not_found":
        return Message("{what}: {where} does not say which step it is.", what=term(what), where=term(where or "an entry"))
    return Message(
        "{what}: {where}: {text}.", what=term(what), where=term(where or "the file"), text=what_is_invalid(first)
    )


MOST_STEPS = 200
"""Steps of a recipe; each is a node of a graph that is walked from its end."""
DEEPEST = 120
"""Levels that a JSON file of Mivex's may be nested; a group of layers takes two."""


def check_depth(data: Any, what: str) -> None:
    """Refuse a file that is nested deeper than any honest one; raises MivexError."""
    level, rows = 0, [data]
    while rows:
        level += 1
        if level > DEEPEST:
            raise MivexError(Message("{what} is nested more than {deepest} levels deep.", what=term(what), deepest=DEEPEST))
        rows = [
            v
            for row in rows
            if isinstance(row, dict | list)
            for v in (row.values() if isinstance(row, dict) else row)
            if isinstance(v, dict | list)
        ]


def check_steps(steps: Any, what: str) -> None:
    """Refuse more steps than `MOST_STEPS`; raises MivexError."""
    if isinstance(steps, list) and len(steps) > MOST_STEPS:
        raise MivexError(
            Message(
                "{what} has {count:,} steps; Mivex takes {most_steps}.",
                what=term(what),
                count=len(steps),
                most_steps=MOST_STEPS,
            )
        )


def parse_recipe(data: Any, what: str) -> Recipe:
    """Check a recipe given as JSON objects.

    Raises
    ------
    MivexError
        Unknown step or setting, or a value out of range; the sentence names it. More steps than `MOST_STEPS`.
    """
    check_depth(data, what)
    check_steps(data.get("steps") if isinstance(data, dict) else None, what)
    try:
        recipe = Recipe.model_validate(data)
    except ValidationError as e:
        raise MivexError(explain(e, what)) from None
    for number, step in enumerate(recipe.steps, 1):
        parts: list[tuple[str, BaseModel]] = [(f"“{step.step}”", step)]
        parts += [(Message("“{step}”, {k}", step=step.step, k=k), v) for k, v in step if isinstance(v, BaseModel)]
        for name, part in parts:
            if part.model_extra:
                word = sorted(part.model_extra)[0]
                known = ", ".join(k for k in type(part).model_fields if k != "step")
                raise MivexError(
                    Message(
                        "{what}: step {number}, {name}, has no setting “{word}” (it has {known}).",
                        what=term(what),
                        number=number,
                        name=name,
                        word=word,
                        known=known,
                    )
                )
    return recipe


def with_files(step: StepParams, change: Callable[[str], str]) -> StepParams:
    """The same step with every path it names changed, also those of packed channels; empty ones stay."""
    fresh: dict[str, Any] = {}
    for key, value in step:
        if key == "file" and value:
            fresh[key] = change(value)
        elif isinstance(value, BaseModel) and vars(value).get("file"):
            fresh[key] = value.model_copy(update={"file": change(str(vars(value)["file"]))})
    return step.model_copy(update=fresh) if fresh else step


def read_recipe(path: str | Path) -> Recipe:
    """Read a recipe file; raises MivexError with one sentence."""
    path = Path(path)
    return parse_recipe(read_json(path), f"“{path.name}”")


def read_json(path: Path) -> Any:
    """Read a JSON file, or say in one sentence why not."""
    return parse_json(read_bytes(path), path)


def parse_json(raw: bytes, path: Path) -> Any:
    """The objects of a JSON text; ``path`` names it in the sentence if it is none."""
    try:
        data = json.loads(raw.decode("utf-8-sig"))
        # A lone half of a character would be read here, and could never be saved again.
        json.dumps(data, ensure_ascii=False).encode("utf-8")
    except UnicodeEncodeError:
        raise MivexError(
            Message("“{name}” holds half a character (a lone surrogate), which is no text.", name=path.name)
        ) from None
    except (ValueError, RecursionError):
        # ValueError: also a number of thousands of digits.
        raise MivexError(Message("“{name}” is not a JSON text, or is cut short.", name=path.name)) from None
    return data


def save_recipe(path: str | Path, steps: tuple[StepParams, ...]) -> None:
    """Write steps as a recipe file, atomically."""
    objects = [s.model_dump(mode="json") for s in steps]
    write_text(path, json.dumps({"steps": objects}, indent=2, ensure_ascii=False) + "\n")

"""Recipes that ask for what is found by looking: the key from the border, the matte from the finding.

A pipeline's pictures differ; where a recipe holds a word in place of a value, the value is worked out for each picture,
from the picture as it is before that step, just as the window does.
"""

from collections.abc import Callable
from dataclasses import dataclass
from pathlib import Path
from typing import Any

import numpy as np

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message
from mivex.core.findings.texture.matte import holds
from mivex.core.findings.texture.matte_fit import fit_matte
from mivex.core.picture.texture import Texture
from mivex.core.prepare.base import StepParams
from mivex.core.prepare.key_colour import KeyColour, border_of, key_from_border
from mivex.core.project.recipe import parse_recipe, read_json

WORDS: dict[tuple[str, str], tuple[str, ...]] = {
    ("key-colour", "key"): ("border",),
    ("unmatte", "matte"): ("found",),
    ("alpha-from", "matte"): ("border", "found"),
}
"""Which settings of which steps may be asked for, and by which words."""


@dataclass(frozen=True)
class Parameter:
    """A setting that a recipe asks for by a word.

    Attributes
    ----------
    index : int
        Of the step.
    setting, word : str
    given : frozenset of str
        Settings of that step that the recipe names itself; they stay.
    """

    index: int
    setting: str
    word: str
    given: frozenset[str]


@dataclass(frozen=True)
class ResolvedParameter:
    """What was worked out for a picture.

    Attributes
    ----------
    asked : Parameter
    step : StepParams
        The step with what was found.
    said : str
        In words.
    """

    asked: Parameter
    step: StepParams
    said: str

    @property
    def row(self) -> dict[str, Any]:
        """What was asked for and what was found, as keys of the printed JSON."""
        return {
            "step": self.asked.index + 1,
            "setting": self.asked.setting,
            "asked": self.asked.word,
            "found": self.step.model_dump(mode="json"),
            "said": self.said,
        }


@dataclass(frozen=True)
class ParametricRecipe:
    """Steps, some of which await what is found."""

    steps: tuple[StepParams, ...]
    asked: tuple[Parameter, ...] = ()


def parse_parametric(data: Any, what: str) -> ParametricRecipe:
    """A recipe from the objects of a file, words and all; raises MivexError."""
    asked: list[Parameter] = []
    rows: Any = data
    if isinstance(data, dict) and isinstance(data.get("steps"), list):
        plain = []
        for k, s in enumerate(data["steps"]):
            row = dict(s) if isinstance(s, dict) else s
            for (name, setting), words in WORDS.items():
                if isinstance(row, dict) and row.get("step") == name and isinstance(row.get(setting), str):
                    if row[setting] not in words:
                        raise MivexError(
                            f"{what}: step {k + 1}: “{setting}” takes a colour, or the word "
                            f"{' or '.join(words)}, not “{row[setting]}”."
                        )
                    asked.append(Parameter(k, setting, row.pop(setting), frozenset(row)))
            plain.append(row)
        rows = data | {"steps": plain}
    return ParametricRecipe(parse_recipe(rows, what).steps, tuple(asked))


def read_parametric(path: str | Path) -> ParametricRecipe:
    """Read a recipe file, words and all; raises MivexError with one sentence."""
    path = Path(path)
    return parse_parametric(read_json(path), f"“{path.name}”")


def _key(texture: Texture, step: KeyColour, asked: Parameter) -> ResolvedParameter:
    found = key_from_border(texture.values)
    own = {k: getattr(step, k) for k in asked.given if k in type(step).model_fields}
    made = found.model_copy(update=own)
    r, g, b = (round(v * 255) for v in made.key)
    return ResolvedParameter(
        asked,
        made,
        Message(
            "The border's colour is {r}, {g}, {b} of 255; clear up to {near:g}, solid from {far:g}.",
            r=r,
            g=g,
            b=b,
            near=made.near,
            far=made.far,
        ),
    )


def _matte(texture: Texture, step: StepParams, asked: Parameter) -> ResolvedParameter:
    soft = bool(((texture.alpha > 0.02) & (texture.alpha < 0.98)).any())
    if step.step == "alpha-from" and (asked.word == "border" or not soft):
        key = np.median(border_of(texture.values[..., :3]), axis=0)
        matte = tuple(float(v) for v in key)
        r, g, b = (round(v * 255) for v in matte)
        return ResolvedParameter(
            asked,
            step.model_copy(update={"matte": matte}),
            Message("The border's colour is {r}, {g}, {b} of 255.", r=r, g=g, b=b),
        )
    fit = fit_matte(texture) if soft and not texture.premultiplied else None
    if fit is None or not holds(fit):
        off = step.model_copy(update={"on": False})
        return ResolvedParameter(asked, off, "No matte was found in its soft parts; the step was left out.")
    own = {
        k: v
        for k, v in (("share", 1.0 if fit.share > 0.97 else fit.share), ("space", fit.space))
        if k in type(step).model_fields and k not in asked.given
    }
    r, g, b = (round(v * 255) for v in fit.matte)
    return ResolvedParameter(
        asked,
        step.model_copy(update={"matte": fit.matte, **own}),
        Message("The matte is {r}, {g}, {b} of 255; {share:.0%} of it is still there.", r=r, g=g, b=b, share=fit.share),
    )


def resolve_parameters(
    recipe: ParametricRecipe,
    before: Callable[[tuple[StepParams, ...]], Texture],
) -> tuple[tuple[StepParams, ...], list[ResolvedParameter]]:
    """The steps with everything found that was asked for.

    Parameters
    ----------
    recipe : ParametricRecipe
    before : callable
        The picture after some steps; may raise MivexError.
    """
    steps = list(recipe.steps)
    found: list[ResolvedParameter] = []
    for a in recipe.asked:
        texture = before(tuple(steps[: a.index]))
        step = steps[a.index]
        row = _key(texture, step, a) if isinstance(step, KeyColour) else _matte(texture, step, a)
        steps[a.index] = row.step
        found.append(row)
    return tuple(steps), found

"""Frames made from an overlay under a setting that goes from one value to another: a growth, a thaw, a spreading stain."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import Any, Literal, get_origin

from annotated_types import Ge, Le
from pydantic import BaseModel, ValidationError

from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.messages import InSentence, Message, term
from mivex.core.base.types import Floats
from mivex.core.layers.builds import changed_at
from mivex.core.layers.model import Group, Layer
from mivex.core.prepare import STEPS
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import Evaluator


@dataclass(frozen=True)
class VariedSetting:
    """A number of an overlay that frames can be made with.

    Attributes
    ----------
    at : str
        Where it stands, as in ``layers.rows.0.strength`` or ``steps.1.amount``.
    name : str
        In words.
    low, high : float
        What it may be; where nothing is said, its slider's ends.
    whole : bool
        It is a whole number.
    now : float
        What it is.
    unit : str
    """

    at: str
    name: str
    low: float
    high: float
    whole: bool
    now: float
    unit: str


def _numbers(model: BaseModel, at: str, words: str, only: tuple[str, ...] = ()) -> Iterator[VariedSetting]:
    """The numbers of one model."""
    for key, info in type(model).model_fields.items():
        value = getattr(model, key)
        if isinstance(value, bool) or not isinstance(value, int | float) or (only and key not in only):
            continue
        if get_origin(info.annotation) is Literal:
            continue  # one of a few, as a whole divisor: nothing lies between them
        other, values = getattr(type(model), "WHEN", {}).get(key, ("", ()))
        if other and getattr(model, other) not in values:
            continue  # it does not matter as things stand
        extra: Any = info.json_schema_extra or {}
        drag = extra.get("drag") or (0.0, 1.0)
        low = next((float(m.ge) for m in info.metadata if isinstance(m, Ge)), float(drag[0]))  # type: ignore[arg-type]
        high = next((float(m.le) for m in info.metadata if isinstance(m, Le)), float(drag[1]))  # type: ignore[arg-type]
        title = Message("{name}: {title}", name=words, title=InSentence(info.title or key))
        yield VariedSetting(
            f"{at}.{key}", title, low, high, isinstance(value, int), float(value), str(extra.get("unit", ""))
        )


def _of_rows(rows: tuple[Layer | Group, ...], at: str) -> Iterator[VariedSetting]:
    for i, row in enumerate(rows):
        here = f"{at}.{i}"
        yield from _numbers(row, here, row.name, ("strength",))
        for j, part in enumerate(row.mask.parts):
            if part.pattern is not None:
                yield from _numbers(part.pattern, f"{here}.mask.parts.{j}.pattern", row.name)
            yield from _numbers(part, f"{here}.mask.parts.{j}", row.name, ("value", "contrast", "balance"))
            yield from _numbers(part.laid, f"{here}.mask.parts.{j}.laid", row.name)
            yield from _numbers(part.shape, f"{here}.mask.parts.{j}.shape", row.name)
            yield from _numbers(part.levels, f"{here}.mask.parts.{j}.levels", row.name)
        if isinstance(row, Group):
            yield from _of_rows(row.rows, f"{here}.rows")
            continue
        for channel, cell in row.cells.items():
            yield from _numbers(cell, f"{here}.cells.{channel}", row.name, ("number", "strength"))
            if cell.pattern is not None:
                yield from _numbers(cell.pattern, f"{here}.cells.{channel}.pattern", row.name)


def varied_settings(overlay: Overlay) -> list[VariedSetting]:
    """Every number of an overlay's layers and steps, in their order."""
    found = list(_of_rows(overlay.layers.rows, "layers.rows"))
    for i, step in enumerate(overlay.steps):
        found += _numbers(step, f"steps.{i}", term(STEPS[step.step].label))
    return found


def setting_at(overlay: Overlay, at: str) -> VariedSetting:
    """The number that stands there; raises MivexError."""
    for s in varied_settings(overlay):
        if s.at == at:
            return s
    raise MivexError(Message("“{name}” has no number at “{at}”.", name=overlay.name, at=at))


def by_setting(
    evaluator: Evaluator,
    doc: Document,
    overlay: Overlay,
    count: int,
    at: str,
    ends: tuple[float, float],
    stop: Callable[[], bool] = lambda: False,
) -> list[Floats]:
    """Results of an overlay while one of its numbers goes evenly from one value to another.

    Parameters
    ----------
    evaluator : Evaluator
    doc : Document
        Where its layers find other overlays.
    overlay : Overlay
    count : int
        Frames, at least 2.
    at : str
        See `VariedSetting`.
    ends : (first, last)
        Whole numbers are rounded frame by frame.
    stop : callable
        Asked between frames; true raises Stopped.

    Raises
    ------
    MivexError
        There is no such number, or it may not be that.
    """
    setting = setting_at(overlay, at)

    def at_value(value: float) -> Overlay:
        try:
            return changed_at(overlay, at, round(value) if setting.whole else value)
        except ValidationError:
            raise MivexError(
                Message(
                    "“{setting}” may be {low:g} to {high:g}, not {value:g}.",
                    setting=term(setting.name),
                    low=setting.low,
                    high=setting.high,
                    value=value,
                )
            ) from None

    for end in ends:
        at_value(end)  # before the first frame is worked out
    frames: list[Floats] = []
    for k in range(count):
        if stop():
            raise Stopped
        other = at_value(ends[0] + (ends[1] - ends[0]) * k / max(count - 1, 1))
        frames.append(evaluator.texture(other, doc, stop=stop).values.copy())
        if len({f.shape for f in frames}) > 1:
            raise MivexError("With that setting the frames differ in size; crop or trim afterwards.")
    return frames

"""Builds the editors for a model's settings from what the model says of them."""

from collections.abc import Callable, Iterable
from typing import Any, Literal, get_args, get_origin

from pydantic import BaseModel
from pydantic.fields import FieldInfo

from mivex.core.base.messages import Message, term
from mivex.ui.fields.editors import EDITORS
from mivex.ui.fields.fields import ChoiceField, ColourField, Field, FileField, SwitchField, TextField
from mivex.ui.fields.number import NumberField


def _bounds(info: FieldInfo) -> tuple[float, float]:
    low, high = -1e6, 1e6
    for rule in info.metadata:
        low = float(getattr(rule, "ge", low))
        high = float(getattr(rule, "le", high))
    return low, high


def field_for(
    model: type[BaseModel], key: str, get: Callable[[], Any], choose_file: Callable[[str], str] = lambda _: ""
) -> Field:
    """The editor for one setting.

    Parameters
    ----------
    model : type of BaseModel
    key : str
        Name of the setting.
    get : callable
        Reads the present value from the document.
    choose_file : callable
        Asks for a ``file`` (a picture) or an ``svg``; empty where none is chosen.
    """
    info = model.model_fields[key]
    extra: dict[str, Any] = info.json_schema_extra if isinstance(info.json_schema_extra, dict) else {}
    name, hint, kind = info.title or key, info.description or "", info.annotation
    unit = str(extra.get("unit", ""))
    if extra.get("widget") == "colour":
        return ColourField(name, hint, get, info.default, pick=key in ("matte", "key"))
    if extra.get("widget") in ("file", "svg"):
        return FileField(name, hint, get, lambda: choose_file(str(extra["widget"])))
    if extra.get("widget") in EDITORS:
        return EDITORS[str(extra["widget"])](name, hint, get, info.get_default())
    if get_origin(kind) is Literal:
        words = get_args(kind)
        labels = extra.get("choices") or {
            w: Message("{w} {unit}", w=term(w), unit=term(unit)) if unit else w for w in words
        }
        return ChoiceField(name, hint, get, info.default, {w: labels[w] for w in words})
    if kind is bool:
        return SwitchField(name, hint, get, info.default)
    if kind in (int, float):
        hard = _bounds(info)
        low, high = extra.get("drag") or hard
        return NumberField(
            name,
            hint,
            get,
            info.default,
            low=low,
            high=high,
            hard=hard,
            whole=kind is int,
            unit=unit,
            log=bool(extra.get("log")),
        )
    return TextField(name, hint, get, info.default)


def shown_keys(model: BaseModel, skip: Iterable[str] = ("step", "on")) -> list[str]:
    """Settings that make a difference with the model's present values."""
    values, when = dict(model), getattr(type(model), "WHEN", {})
    return [
        k for k in type(model).model_fields if k not in set(skip) and (k not in when or values[when[k][0]] in when[k][1])
    ]

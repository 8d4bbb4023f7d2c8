"""What every model of settings is made of: frozen parts, colours, and the description of one setting."""

from collections.abc import Mapping
from functools import lru_cache
from typing import Annotated, Any, ClassVar
from uuid import uuid4

from pydantic import (
    AfterValidator,
    BaseModel,
    ConfigDict,
    Field,
    SerializerFunctionWrapHandler,
    model_serializer,
)


def _in_unit(rgb: tuple[float, float, float]) -> tuple[float, float, float]:
    if not all(0 <= v <= 1 for v in rgb):
        raise ValueError("each of red, green and blue must lie between 0 and 1")
    return rgb


Rgb = Annotated[tuple[float, float, float], AfterValidator(_in_unit)]
"""A colour in display values, each channel in [0, 1]."""


class Frozen(BaseModel):
    """A part of the document: immutable, keeping keys it does not know."""

    model_config = ConfigDict(frozen=True, defer_build=True, extra="allow", allow_inf_nan=False)


@lru_cache(None)
def _usual(model: type[BaseModel]) -> BaseModel | None:
    """A model with every usual value; None where something must be said."""
    return None if any(f.is_required() for f in model.model_fields.values()) else model.model_construct()


class OmitDefaultsModel(Frozen):
    """A part of the document of which only what was changed is written, and what ``ALWAYS`` names."""

    ALWAYS: ClassVar[frozenset[str]] = frozenset()

    @model_serializer(mode="wrap")
    def _changed(self, write: SerializerFunctionWrapHandler) -> dict[str, Any]:
        usual = type(self)
        kept = _usual(usual)
        return {
            k: v
            for k, v in write(self).items()
            if kept is None or k in usual.ALWAYS or k not in usual.model_fields or getattr(self, k) != getattr(kept, k)
        }


def new_id() -> str:
    """A short name for a new part of a document."""
    return uuid4().hex[:8]


def setting(  # noqa: PLR0913
    default: Any,
    title: str,
    hint: str,
    *,
    unit: str = "",
    ge: float | None = None,
    le: float | None = None,
    choices: dict[Any, str] | None = None,
    widget: str = "",
    drag: tuple[float, float] | None = None,
    log: bool = False,
) -> Any:
    """Describe one setting of a step: its default, name, unit, range and a one-line hint.

    Parameters
    ----------
    default : Any
        Value when nothing is said.
    title, hint : str
        Name on the control; what changes in the picture.
    unit : str
        Shown behind the number.
    ge, le : float, optional
        Smallest and largest value allowed.
    choices : dict, optional
        Wording for each allowed word.
    widget : str
        Editor to use where the type alone does not say: ``colour``, ``file``.
    drag : (low, high), optional
        Range of the slider where it should be narrower than what may be typed.
    log : bool
        The slider moves by ratio, not by difference.
    """
    extra: dict[str, Any] = {"unit": unit, "choices": choices, "widget": widget, "log": log}
    extra["drag"] = list(drag) if drag else None
    kept = {k: v for k, v in extra.items() if v}
    return Field(default, title=title, description=hint, ge=ge, le=le, json_schema_extra=kept)


def written_out(value: Any) -> Any:
    """A model as plain data with every value of it, usual or not."""
    if isinstance(value, BaseModel):
        return {k: written_out(getattr(value, k)) for k in type(value).model_fields}
    if isinstance(value, Mapping):
        return {k: written_out(v) for k, v in value.items()}
    return [written_out(v) for v in value] if isinstance(value, tuple | list) else value

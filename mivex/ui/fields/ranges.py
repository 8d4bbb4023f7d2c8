"""Editors of ranges, of three numbers, and of the points of a curve."""

from collections.abc import Callable, Sequence
from typing import Any

from PySide6.QtWidgets import QHBoxLayout, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term
from mivex.ui.fields.fields import Field
from mivex.ui.fields.number import Bar


class BarsField(Field):
    """Several numbers in a row.

    Parameters
    ----------
    name, hint, get, default :
        As for every field; the value is a tuple of numbers.
    spans : list of (low, high)
        What each is dragged over.
    hard : (low, high)
        What is allowed.
    unit : str
    names : list of str
        Of each number, for those who hear it.
    join : callable
        ``join(values, which) -> tuple``: the value when one of them has changed.
    """

    def __init__(  # noqa: PLR0913
        self,
        name: str,
        hint: str,
        get: Callable[[], Any],
        default: Any,
        *,
        spans: list[tuple[float, float]],
        hard: tuple[float, float],
        unit: str = "",
        names: list[str],
        whole: bool | Sequence[bool] = False,
        join: Callable[[list[float], int], tuple[float, ...]] = lambda values, _: tuple(values),
    ) -> None:
        super().__init__(name, hint, get, default)
        self.join = join
        editor = QWidget()
        row = QHBoxLayout(editor)
        row.setContentsMargins(0, 0, 0, 0)
        row.setSpacing(6)
        self.bars: list[Bar] = []
        for k, (low, high) in enumerate(spans):
            usual = default[k] if default is not None else low
            shown = unit if k == len(spans) - 1 else ""
            counted = whole if isinstance(whole, bool) else whole[k]
            bar = Bar(low, high, hard, whole=counted, unit=shown, log=False, default=float(usual))
            if len(spans) > 2:  # of two, the order says which is which
                bar.mark = names[k][:1] if len(names[k]) > 2 else names[k]
            bar.setToolTip(tr(Message("{name}, {names}. {hint}", name=term(name), names=term(names[k]), hint=term(hint))))
            bar.setMinimumWidth(44)
            bar.setAccessibleName(tr(Message("{name}, {names}", name=term(name), names=term(names[k]))))
            bar.changed.connect(lambda _v, i=k: self._changed(i))
            bar.released.connect(self.released)
            bar.let_go.connect(self.let_go)
            row.addWidget(bar, 1)
            self.bars.append(bar)
        self.finish(editor)
        self.setFocusProxy(self.bars[0])

    def _changed(self, which: int) -> None:
        self.edited.emit(self.join([b.value for b in self.bars], which))

    def show_value(self, value: Any) -> None:
        for bar, v in zip(self.bars, value if value is not None else [b.default for b in self.bars], strict=False):
            bar.value = float(v)
            bar.update()


def kept_in_order(values: list[float], which: int) -> tuple[float, ...]:
    """A range, of which the end that was not dragged gives way."""
    low, high = values
    return (low, max(low, high)) if which == 0 else (min(low, high), high)


def range_field(model: type, key: str, get: Callable[[], Any]) -> BarsField:
    """The editor of a setting that may be a range."""
    info = model.model_fields[key]  # type: ignore[attr-defined]
    extra = info.json_schema_extra or {}
    low, high = extra.get("drag", (0.0, 1.0))
    positive = {"opacity": (0.0, 1.0), "life": (0.001, 1000.0), "width": (0.001, 1000.0), "height": (0.001, 1000.0)}
    hard = (-1e5, 1e5) if low < 0 else positive.get(key, (0.0, 1e4))
    return BarsField(
        str(info.title),
        Message("{description} Two numbers: chosen between them by chance.", description=term(info.description)),
        get,
        info.get_default(),
        spans=[(low, high), (low, high)],
        hard=hard,
        unit=str(extra.get("unit", "")),
        names=["least", "greatest"],
        join=kept_in_order,
    )


def vector_field(
    name: str,
    hint: str,
    get: Callable[[], Any],
    default: Any,
    *,
    low: float,
    high: float,
    hard: tuple[float, float],
    unit: str = "m",
) -> BarsField:
    """The editor of three numbers along x, y and z."""
    return BarsField(name, hint, get, default, spans=[(low, high)] * 3, hard=hard, unit=unit, names=["x", "y", "z"])

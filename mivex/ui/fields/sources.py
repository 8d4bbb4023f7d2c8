"""The editor of a value that may be a number, or a channel of any picture or overlay."""

from collections.abc import Callable
from typing import Any

from PySide6.QtCore import QPoint, Qt
from PySide6.QtWidgets import QHBoxLayout, QMenu, QPushButton, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term, verbatim
from mivex.core.material.sourced import CHANNEL_NAMES, Channel, Sourced
from mivex.ui.fields.fields import Field
from mivex.ui.fields.number import Bar

_LETTER = {"red": "R", "green": "G", "blue": "B", "alpha": "A"}


class SourcedField(Field):
    """A number, and beside it where the value comes from.

    Parameters
    ----------
    name, hint, get, default :
        As for every field; the value is a `Sourced`, or a part made of it.
    number : str
        The setting of it that the gauge holds; empty: there is none.
    overlays : callable
        Names by id of the overlays that may be read.
    choose_file : callable
        Asks for a picture; empty where none is chosen.
    bare : str
        What it is where nothing is read.
    """

    def __init__(
        self,
        name: str,
        hint: str,
        get: Callable[[], Any],
        default: Any,
        *,
        number: str,
        overlays: Callable[[], dict[str, str]],
        choose_file: Callable[[str], str],
        bare: str = "A number",
    ) -> None:
        super().__init__(name, hint, get, default)
        self.bare, self.number, self.overlays, self.choose_file = bare, number, overlays, choose_file
        editor = QWidget()
        row = QHBoxLayout(editor)
        row.setContentsMargins(0, 0, 0, 0)
        row.setSpacing(6)
        self.bar: Bar | None = None
        if number:
            info = type(default).model_fields[number]
            extra = info.json_schema_extra if isinstance(info.json_schema_extra, dict) else {}
            hard = (
                next((float(m.ge) for m in info.metadata if hasattr(m, "ge")), 0.0),
                next((float(m.le) for m in info.metadata if hasattr(m, "le")), 1.0),
            )
            low, high = extra.get("drag") or hard  # type: ignore[misc]
            self.bar = Bar(
                float(low),
                float(high),
                hard,
                whole=False,
                unit=str(extra.get("unit", "")),
                log=False,  # type: ignore[arg-type]
                default=getattr(default, number),
            )
            self.bar.setAccessibleName(tr(name))
            self.bar.changed.connect(lambda v: self._change(**{number: v}))
            self.bar.released.connect(self.released)
            self.bar.let_go.connect(self.let_go)
            row.addWidget(self.bar, 1)
        self.source = QPushButton()
        self.source.setObjectName("source")
        self.source.setAccessibleName(tr(Message("{name}: where it comes from", name=term(name))))
        self.source.setFixedWidth(86 if number else 178)
        self.source.clicked.connect(self.open_menu)
        row.addWidget(self.source)
        self.menu: QMenu | None = None
        self.finish(editor)
        self.setFocusProxy(self.bar or self.source)

    def _change(self, **values: Any) -> None:
        now = self.get()
        self.edited.emit(type(now).model_validate(dict(now) | values))

    def words(self) -> str:
        """Where the value comes from, in short."""
        part: Sourced = self.get()
        if part.source == "number":
            return self.bare.removeprefix("A ").capitalize()
        there = self.overlays().get(part.overlay)
        name = {
            "own": term("Own"),
            "file": verbatim(part.path.replace("\\", "/").rsplit("/", 1)[-1]),
            "overlay": verbatim(there) if there is not None else term("gone"),
        }[part.source]
        if isinstance(part, Channel):
            name += Message(" · {letter}", letter=term(_LETTER[part.channel])) + ("′" if part.invert else "")
        return name

    def show_value(self, value: Any) -> None:
        if self.bar is not None:
            self.bar.value = float(getattr(value, self.number))
            self.bar.update()
        words = self.words()
        self.source.setText(
            self.source.fontMetrics().elidedText(tr(words), Qt.TextElideMode.ElideMiddle, self.source.width() - 16)
        )
        self.source.setToolTip(
            tr(
                Message("{name} comes from: {words}", name=term(self.name), words=term(words))
                + (" (inverted)" if words.endswith("′") else "")
            )
        )

    def open_menu(self) -> None:
        """Offer everything that the value can be read from."""
        part: Sourced = self.get()
        self.menu = menu = QMenu(self)
        channels = isinstance(part, Channel)
        if type(part) is not Sourced:
            self._entry(menu, self.bare, source="number")
        self._source(menu, "Own picture", channels, source="own")
        others = self.overlays()
        if others:
            menu.addSeparator()
        for key, name in others.items():
            self._source(menu, verbatim(name), channels, source="overlay", overlay=key)
        menu.addSeparator()
        menu.addAction(tr("A picture …")).triggered.connect(lambda: self._ask(channels))
        if channels and part.source == "file" and part.path:
            self._source(menu, verbatim(part.path.rsplit("/", 1)[-1]), True, source="file", path=part.path)
        if isinstance(part, Channel) and part.source != "number":
            menu.addSeparator()
            flip = menu.addAction(tr("Inverted"))
            flip.setCheckable(True)
            flip.setChecked(part.invert)
            flip.triggered.connect(lambda on: (self._change(invert=on), self.released.emit()))
        menu.popup(self.source.mapToGlobal(QPoint(0, self.source.height())))

    def _source(self, menu: QMenu, name: str, channels: bool, **values: str) -> None:
        if not channels:
            self._entry(menu, name, **values)
            return
        sub = menu.addMenu(tr(name))
        for key, word in CHANNEL_NAMES.items():
            self._entry(sub, word, **values, channel=key)

    def _entry(self, menu: QMenu, words: str, **values: str) -> None:
        action = menu.addAction(tr(words))
        action.setCheckable(True)
        now = self.get()
        action.setChecked(all(getattr(now, k) == v for k, v in values.items()))
        action.triggered.connect(lambda: (self._change(**values), self.released.emit()))

    def _ask(self, channels: bool) -> None:
        path = self.choose_file("file")
        if path:
            first = {"channel": "red"} if channels and self.get().source != "file" else {}
            self._change(source="file", path=path, **first)
            self.released.emit()

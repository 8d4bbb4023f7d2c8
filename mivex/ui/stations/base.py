"""What a station is, and the page that it builds its controls on."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import Any

import numpy as np
from PySide6.QtCore import QObject, Signal
from PySide6.QtWidgets import QVBoxLayout, QWidget

from mivex.core.base.errors import MivexError
from mivex.core.base.kept import cached_or_none
from mivex.core.base.messages import InSentence, Message
from mivex.core.material.material import default_material
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Step
from mivex.core.prepare.key_colour import key_from_border
from mivex.core.project import edits
from mivex.core.project.document import Overlay
from mivex.core.scene.playback import hull_key
from mivex.core.sheet.bleed import Bleed
from mivex.ui.fields.fields import Field
from mivex.ui.fields.forms import field_for
from mivex.ui.fields.hint import Hint
from mivex.ui.fields.number import NumberField
from mivex.ui.session.desk import PlaybackController
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session
from mivex.ui.stations.cells import cells_of
from mivex.ui.stations.face_picker import FacePicker

_ORDER = {"source": 0, "alpha": 1, "colour": 2, "edges": 3}


def insert_at(o: Overlay, step: Step) -> int:
    """Where a new step belongs in the recipe: behind the last one of its station or an earlier one."""
    rank = _ORDER[step.station]
    return 1 + max((i for i, s in enumerate(o.steps) if _ORDER[STEPS[s.step].station] <= rank), default=-1)


@dataclass(frozen=True)
class Station:
    """A stop on the track. Registered by standing as ``STATION`` in a module of `mivex.ui.stations`.

    Attributes
    ----------
    key, title : str
    what : str
        What is set there, in one sentence.
    place : int
        Where on the track it stands.
    build : callable
        ``build(page, overlay)`` puts its controls on the page. A long one is a generator, which yields where what follows
        can wait for the next turn.
    touched : callable
        Whether anything of an overlay has been set there.
    """

    key: str
    title: str
    what: str
    place: int
    build: "Callable[[Page, Overlay], Iterator[None] | None]"
    touched: Callable[[Overlay], bool]
    shape: Callable[["Page", Overlay], object] = lambda _page, _overlay: None
    """Besides what every station follows: when this changes, the controls are built anew."""
    width: int = 308
    """Of its controls, in pixels."""
    tall: bool = False
    """Its controls need height: the tray is folded."""


def has_steps(station: str) -> Callable[[Overlay], bool]:
    """Whether an overlay's recipe has steps of a station."""
    return lambda o: any(STEPS[s.step].station == station for s in o.steps)


class Page(QWidget):
    """What stations build on: a column of fields that follow the document, and the edits that they make."""

    deliver_wanted = Signal(bool)
    card_wanted = Signal()
    recipe_wanted = Signal(str)
    # Told by signals, not called: what answers them stands above the stations.
    paint_wanted = Signal(bool)
    pick_wanted = Signal(object)
    look_wanted = Signal(str)
    sheet_wanted = Signal(str)

    def __init__(
        self,
        session: Session,
        engine: Engine,
        desk: PlaybackController,
        choose_file: Callable[[str], str],
        parent: QObject | None = None,
    ) -> None:
        super().__init__()
        self.session, self.engine, self.desk, self.choose_file = session, engine, desk, choose_file
        self.column = QVBoxLayout()
        self.hint = Hint(session.workers)
        self.pack_tab = "red"
        self.painting = False
        self.painted_part = -1
        self.held_look = ""
        self.opened: set[str] = set()
        self.turned: set[str] = set()
        self.scrolled = 0
        self.level_channel = "opacity"
        self.stroke_number = 1 << 30
        self.faces = FacePicker(self)
        # Looked up while the page is shown, and kept beyond it: a page is built anew at every change of its shape.
        self.guesses: dict[tuple[str, str], Any] = {}
        self.cell_images: dict[tuple[str, str], Any] = {}
        self._cells_of: object = None
        self.cells = session.workers.latest("cells")
        self.cells.done.connect(self._take_cells)
        self.between = session.workers.latest("between", engine.notice.emit)
        self.between.done.connect(lambda *_: self.refresh())
        self._fields: list[Field] = []
        self.live: list[Callable[[], None]] = []

    def refresh(self) -> None:
        """Show what the document holds."""
        raise NotImplementedError

    def add_field(self, field: Field, into: QVBoxLayout | None = None) -> None:
        """Put an editor into the page, or into a part of it."""
        field.released.connect(self.session.end_merge)
        field.entered.connect(lambda: self.hint.say(field.hint))
        self._fields.append(field)
        (into or self.column).addWidget(field)

    def edit_with(self, label: str, merge: str, edit: Callable[[Any, Any], Any]) -> Callable[[object], None]:
        """A slot that makes an edit with the value it is given."""
        return lambda value: self.session.apply(label, lambda d: edit(d, value), merge)

    def model_field(self, model: type, key: str, part: str, o: Overlay) -> None:
        """The editor of one setting of an overlay's source, material or delivery."""

        def read() -> Any:
            now = self.session.doc.overlay(o.id) or o
            return getattr(getattr(now, part), key)

        field = field_for(model, key, read, self.choose_file)
        if part == "material":
            # The kind's own usual value, not the model's: glass and a decal begin with other settings.
            field.default = getattr(default_material(o.kind), key)
            if isinstance(field, NumberField):
                field.bar.default = float(field.default)
        field.edited.connect(
            self.edit_with(
                Message("Change {name}", name=InSentence(field.name)),
                f"{o.id} {part} {key}",
                lambda d, v: edits.set_fields(d, o.id, part, **{key: v}),
            )
        )
        self.add_field(field)

    def choose_pack(self, channel: str) -> None:
        """Show the settings of another packed channel."""
        self.pack_tab = channel
        self.refresh()

    def set_painting(self, on: bool) -> None:
        """Begin or end painting strokes in the flat proof."""
        if on != self.painting:
            self.painting = on
            self.paint_wanted.emit(on)
            self.refresh()

    def sheet_figures(self, o: Overlay) -> tuple[float | None, int | None]:
        """Share of the area that a sheet's outlines leave out, and its coarsest safe level; None: not known yet."""
        t = self.engine.get(o.id).texture
        if t is None:
            return None, None
        # Only what is at hand: the window's thread measures nothing. What is missing is measured in the background and
        # told.
        outlines, bleed = cached_or_none(t, hull_key(o.sheet)), cached_or_none(t, "bleed")
        saved = 1 - float(np.mean([h.area for h in outlines])) if isinstance(outlines, list) else None
        return saved, bleed.safe if isinstance(bleed, Bleed) else None

    # Layers --------------------------------------------------------------------------------------

    def try_edit(self, words: str, edit: Callable[[Any], Any]) -> None:
        """Make an edit that may be refused; the reason is told."""
        try:
            self.session.apply(words, edit)
        except MivexError as e:
            self.engine.notice.emit(str(e))
            self.refresh()

    def want_cells(self, o: Overlay) -> None:
        """Have the pictures of a stack's cells drawn in the background, where they are out of date."""
        # By the objects that they are made of: an edit elsewhere leaves a stack's small pictures alone.
        key = (o.id, o.layers, o.source)
        if self._cells_of == key:
            return
        # Another overlay's pictures must not stand in this one's table while its own are drawn.
        if isinstance(self._cells_of, tuple) and self._cells_of[0] != o.id:
            self.cell_images = {}
        self._cells_of = key
        evaluator, doc = self.session.evaluator, self.session.doc
        self.cells.ask(key, lambda _r, _s: cells_of(evaluator, o, doc))

    def _take_cells(self, key: object, images: object) -> None:
        if key == self._cells_of and isinstance(images, dict):
            self.cell_images = images
            for live in self.live:
                live()

    def look_at(self, column: str) -> None:
        """Show a column's channel in the flat proof; empty: what is held there, or the picture again."""
        self.look_wanted.emit(self._look_of(column or self.held_look))

    def hold_look(self, column: str) -> None:
        """Keep a column's channel in the flat proof."""
        self.held_look = column
        self.look_at("")
        self.refresh()

    def _look_of(self, column: str) -> str:
        if column == "mask":
            return f"mask:{self.session.row_id}" if self.session.row_id else ""
        if column in ("upto", "below"):
            return f"{column}:{self.session.row_id}" if self.session.row_id else ""
        return f"channel:{column}" if column else ""

    def choose_level(self, channel: str) -> None:
        """Set the levels of another channel."""
        self.level_channel = channel
        self.refresh()

    def choose_stroke(self, number: int) -> None:
        """Choose one of a layer's strokes, counted from 1."""
        self.stroke_number = number
        self.refresh()

    def fold_changed(self) -> None:
        """A group was folded or opened."""
        self.refresh()

    def set_scrolled(self, value: int) -> None:
        """Remember how far the table is scrolled; the controls may be built anew."""
        self.scrolled = value

    def open_part(self, key: str) -> None:
        """Open or close further settings of a part, by its key."""
        self.opened ^= {key}
        self.refresh()

    def paint_part(self, part: int, on: bool) -> None:
        # Painting a mask's part ends choosing faces for another.
        """Begin or end painting: on the chosen layer (−1), or on a part of its mask."""
        self.faces.part = -1
        self.painted_part = part if on else -1
        self.painting = not on  # told anew, for it may be another part
        self.set_painting(on)
        self.refresh()

    def add_step(self, step: Step) -> None:
        """Put a step where it belongs in the selected overlay's recipe."""
        o = self.session.overlay
        if o is not None:
            at, key = insert_at(o, step), o.id
            fresh = step.params(step=step.name)
            seen = self.engine.get(key).before
            if step.name == "key-colour" and seen is not None:
                fresh = key_from_border(seen.values)  # only the border is looked at
            elif step.name == "keep-coverage":
                fresh = step.params.model_validate({"step": step.name, "cutoff": min(max(o.material.cutoff, 0.01), 0.99)})
            # Chosen before it is there: the page that is built by the edit shows it opened.
            self.session.step_index = at
            self.session.apply(
                Message("Add {label}", label=InSentence(step.label)), lambda d: edits.add_step(d, key, fresh, at)
            )

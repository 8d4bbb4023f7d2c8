"""What was delivered in this session, and what the intake makes of it."""

from collections.abc import Sequence
from typing import Any

from PySide6.QtCore import QObject, Signal

from mivex.core.base.kept import serial
from mivex.core.deliver.project import Delivery
from mivex.core.intake.compare import Difference, Row, difference, draw, only_delivered, survival
from mivex.core.intake.loader import Received, load
from mivex.core.intake.switches import SMALLER, switched
from mivex.core.project.receiver import Receiver
from mivex.core.scene.draw_calls import codes_of, load_scene_inputs, render
from mivex.core.stage.camera import View
from mivex.ui.session.session import Session


class Shipping(QObject):
    """The last delivery, and the intake's picture of it; everything is loaded and drawn in the background.

    Signals
    -------
    told()
        Something of it has changed.
    said(words)
        A sentence for the artist.
    """

    told = Signal()
    said = Signal(object)  # a Message; as str it would lose its template

    def __init__(self, session: Session, parent: QObject | None = None) -> None:
        super().__init__(parent)
        self.session = session
        self.made: Delivery | None = None
        self.folder = ""
        self.received: Received | None = None
        self.switches: frozenset[str] = frozenset()
        self.side = SMALLER
        self.view: View | None = None
        self._doc: object = None
        self.codes: Any = None
        self.meant: Any = None
        self.off: Difference | None = None
        self.rows: Sequence[Row] = ()
        self.share = -1.0
        self.problem = ""
        self._loaded: tuple[str, object] = ("", None)
        self._switched: tuple[object, Received] | None = None
        self.worker = session.workers.latest("intake", self._failed)
        self.worker.done.connect(self._take)
        self.trials = session.workers.latest("switches", self._failed)
        self.trials.done.connect(self._take_rows)
        self.trials.reported.connect(self._tell_share)

    def take(self, made: Delivery, folder: str) -> None:
        """A delivery has come to its end."""
        self.made, self.folder, self.rows = made, folder, ()
        self._switched = None
        self.received, self.codes, self.off = None, None, None
        self.told.emit()
        self.redraw()

    def open(self, folder: str) -> None:
        """Load a delivery that lies on disk."""
        self.made, self.folder, self.rows = None, folder, ()
        self._switched = None
        self.received, self.codes, self.off = None, None, None
        self.told.emit()
        self.redraw()

    def look(self, view: View) -> None:
        """Draw the intake from this camera from now on."""
        if view != self.view or self.session.doc is not self._doc:
            self.view, self._doc = view, self.session.doc
            self.redraw()

    def switch(self, key: str, on: bool) -> None:
        """Let the receiver do something, or not."""
        self.switches = self.switches | {key} if on else self.switches - {key}
        self.told.emit()
        self.redraw()

    def limit(self, side: int) -> None:
        """Set the receiver's limit of texture sizes, in texels."""
        self.side, self.rows = side, ()
        self.told.emit()
        self.redraw()

    def draw_like(self, receiver: Receiver) -> None:
        """Set the switches as a receiver is known to draw."""
        self.switches = receiver.switches
        if receiver.longest and receiver.longest != self.side:
            self.side, self.rows = receiver.longest, ()
        self.told.emit()
        self.redraw()

    def redraw(self) -> None:
        """Draw the intake's picture and its difference from the stage, in the background."""
        if not self.folder or self.view is None:
            return
        folder, keys, side, view = self.folder, self.switches, self.side, self.view
        received, kept = self.received, self._switched
        doc, evaluator = self.session.doc, self.session.evaluator

        def work(_report: Any, stopped: Any) -> object:
            whole = received or load(folder, stopped)
            mark = (serial(whole), keys, side)
            other = kept[1] if kept is not None and kept[0] == mark else switched(whole, keys, side, stopped)
            codes = draw(other, view, stopped)
            # The stage is the project's: it is what was meant.
            textures, meshes = load_scene_inputs(doc, evaluator)
            bare = only_delivered(doc, whole)
            meant = codes_of(render(bare, textures, view, meshes, stopped), bare)
            return whole, (mark, other), codes, difference(codes, meant), meant

        self.worker.ask(folder, work)

    def _take(self, folder: object, made: object) -> None:
        if folder != self.folder or not isinstance(made, tuple):
            return
        self.received, self._switched, self.codes, self.off, self.meant = made
        self.problem = ""
        self.told.emit()

    def _failed(self, why: str) -> None:
        self.problem, self.share = why, -1.0
        self.codes, self.off = None, None
        self.told.emit()
        self.said.emit(why)

    def try_all(self) -> None:
        """Try every switch on every overlay; once more: stop."""
        if not self.trials.idle:
            self.trials.halt()
            self.share = -1.0
            self.told.emit()
            return
        if self.received is None:
            return
        received, side = self.received, self.side
        self.share = 0.0
        self.told.emit()
        self.trials.ask(self.folder, lambda report, stopped: survival(received, side=side, stop=stopped, tell=report))

    def _tell_share(self, _token: object, share: object) -> None:
        self.share = float(share)  # type: ignore[arg-type]
        self.told.emit()

    def _take_rows(self, folder: object, rows: object) -> None:
        self.share = -1.0
        if folder == self.folder and isinstance(rows, list):
            self.rows = rows
        self.told.emit()

"""The open project: its document, its history, its file."""

import os
from collections.abc import Callable
from dataclasses import dataclass, replace
from pathlib import Path
from typing import Any

from PySide6.QtCore import QObject, Signal

from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import Stamp, open_project, relocated
from mivex.core.project.keeping import Lock, project_lock
from mivex.core.project.layering import bakes_folder
from mivex.core.project.variants import synced
from mivex.ui.session.brush import Brush
from mivex.ui.session.recent import remember_project
from mivex.ui.session.refresher import Refresher
from mivex.ui.session.worker import Workers

Edit = Callable[[Document], Document]
HISTORY = 400
UNSEEN = Stamp()


@dataclass(frozen=True)
class Saving:
    """A save that was carried out: the file, the document that was asked for, as it was written, and its stamp."""

    path: Path
    doc: Document
    written: Document
    stamp: Stamp
    lock: Lock | None


class Session(QObject):
    """Holds the document; every edit goes through `apply` and can be undone.

    Signals
    -------
    changed()
        The document is another one.
    chosen()
        Another overlay or placement is selected.
    filed()
        The project's file, or whether it is saved, has changed.
    stepped()
        Another step of the selected overlay is the active one.
    """

    changed = Signal()
    chosen = Signal()
    filed = Signal()
    stepped = Signal()

    def __init__(self, parent: QObject | None = None) -> None:
        super().__init__(parent)
        self.workers = Workers(self)
        self.refresher = Refresher(self)
        self.jobs = self.workers.queue("jobs")
        """What changes the document when it arrives: pictures read, projects opened, paths found, grids guessed."""
        self.saver = self.workers.queue("saver", finishes=True)
        self.project = 0
        """Counts the projects that were open here: what was asked for one of them is not taken by another."""
        # Not checked, so that the models of all steps need not be built before the window is there.
        self.doc = Document.model_construct()
        self.path: Path | None = None
        self.stamp = Stamp()
        self._lock: Lock | None = None
        self.evaluator = Evaluator(Path.cwd())
        self.overlay_id = ""
        self.place_id = ""
        self.step_index = -1
        self.row_id = ""
        self.column = "row"
        self.brush = Brush()
        self._back: list[tuple[Document, str]] = []
        self._forward: list[tuple[Document, str]] = []
        self._saved = self.doc
        self._merge = ""

    @property
    def folder(self) -> str:
        """What picture paths are relative to."""
        return str(self.path.parent) if self.path else os.getcwd()

    @property
    def overlay(self) -> Overlay | None:
        """The selected overlay."""
        return self.doc.overlay(self.overlay_id)

    @property
    def saved(self) -> bool:
        """Whether the document is the one on disk, so that closing loses nothing."""
        return self.doc is self._saved or self.doc == self._saved

    def apply(self, label: str, edit: Edit, merge: str = "", select: Callable[[], str] | None = None) -> None:
        """Make an edit.

        Parameters
        ----------
        label : str
            What it does, as Undo names it.
        edit : callable
            Document to document.
        merge : str
            Edits with the same word, until `end_merge`, make one entry, as in a slider drag.
        select : callable, optional
            After the edit, gives the id of the overlay that is the chosen one from then on; the window follows once.
        """
        fresh = synced(self.doc, edit(self.doc))
        if fresh == self.doc:
            return
        if not (merge and self._merge == merge and self._back):
            self._back.append((self.doc, label))
            del self._back[:-HISTORY]
        self._merge = merge
        self._forward.clear()
        key = select() if select is not None else ""
        if fresh.overlay(key) is None:
            self._put(fresh)
            return
        self._point_at(fresh, key)
        self._put(fresh)
        self.chosen.emit()

    def end_merge(self) -> None:
        """The next edit starts an entry of its own."""
        self._merge = ""

    @property
    def undo_label(self) -> str:
        """What Undo would take back, or empty."""
        return self._back[-1][1] if self._back else ""

    @property
    def redo_label(self) -> str:
        """What Redo would do again, or empty."""
        return self._forward[-1][1] if self._forward else ""

    def undo(self) -> None:
        """Take the last edit back."""
        if self._back:
            doc, label = self._back.pop()
            self._forward.append((self.doc, label))
            self.end_merge()
            self._put(doc)

    def redo(self) -> None:
        """Do an undone edit again."""
        if self._forward:
            doc, label = self._forward.pop()
            self._back.append((self.doc, label))
            self.end_merge()
            self._put(doc)

    def _put(self, doc: Document) -> None:
        self.doc = doc
        lost = bool(self.overlay_id) and self.overlay is None
        if self.overlay is None:
            self.overlay_id = doc.overlays[-1].id if doc.overlays else ""
        overlay = self.overlay
        if overlay is None or all(p.id != self.place_id for p in overlay.places):
            self.place_id = overlay.places[0].id if overlay and overlay.places else ""
        self.changed.emit()
        if lost:
            self.chosen.emit()  # the chosen one is gone: another stands in its place
        self.filed.emit()

    def choose(self, overlay_id: str, place_id: str = "") -> None:
        """Select an overlay, and one of its placements."""
        overlay = self.doc.overlay(overlay_id)
        if overlay is None:
            return
        self._point_at(self.doc, overlay_id, place_id)
        self.chosen.emit()

    def _point_at(self, doc: Document, overlay_id: str, place_id: str = "") -> None:
        overlay = doc.overlay(overlay_id)
        self.overlay_id = overlay_id
        ids = [p.id for p in overlay.places] if overlay is not None else []
        self.place_id = place_id if place_id in ids else (ids[0] if ids else "")
        self.step_index = -1
        self.row_id, self.column = "", "row"
        self.end_merge()

    def activate(self, index: int) -> None:
        """Make a step the active one: it is open, and its handles stand in the flat proof."""
        if index != self.step_index:
            self.step_index = index
            self.stepped.emit()

    def choose_row(self, row_id: str, column: str = "row") -> None:
        """Select a layer, and one of its cells: a channel, ``mask``, or the ``row`` itself."""
        if (row_id, column) != (self.row_id, self.column):
            self.row_id, self.column = row_id, column
            self.stepped.emit()

    def set_brush(self, **values: Any) -> None:
        """Change what is painted with; no edit of the document."""
        self.brush = replace(self.brush, **values)
        self.stepped.emit()

    def _start(self, doc: Document, path: Path | None, stamp: Stamp, lock: Lock | None) -> None:
        if lock is not self._lock:
            self.leave()
        self.project += 1
        self.path, self.stamp, self._lock = path, stamp, lock
        self.evaluator = Evaluator(self.folder)
        self.evaluator.bakes = bakes_folder(path) if path else None
        self._back.clear()
        self._forward.clear()
        self.end_merge()
        self._saved = doc
        self.overlay_id = doc.overlays[0].id if doc.overlays else ""
        self.place_id = ""
        self._put(doc)
        self.chosen.emit()

    def leave(self) -> None:
        """Another window may have the project now."""
        if self._lock is not None:
            self._lock.free()
            self._lock = None

    @property
    def elsewhere(self) -> bool:
        """Another window has the project open as well."""
        return self.path is not None and self._lock is None

    def new(self) -> None:
        """Start an empty project."""
        self._start(Document(), None, Stamp(), None)

    def take(self, doc: Document, path: Path | None, stamp: Stamp = UNSEEN, lock: Lock | None = None) -> None:
        """Take a project that has been read; ``lock`` is held where no other window has it open.

        Opened once more, a project keeps the lock that it has.
        """
        self._start(doc, path, stamp, self._lock if lock is None and path is not None and path == self.path else lock)
        if path:
            remember_project(path)

    def restore(self, doc: Document, path: Path | None, stamp: Stamp = UNSEEN, folder: str = "") -> None:
        """Take work that was kept aside; it counts as unsaved."""
        if path is None and folder:
            doc = relocated(doc, folder, os.getcwd())
        # The old one goes first: it may be the very lock that the restored work needs.
        held = self._lock if path is not None and path == self.path else None
        if held is None:
            self.leave()
            lock = project_lock(path) if path else None
            held = lock if lock is not None and lock.take() else None
        self._start(doc, path, stamp, held)
        self._saved = Document(mivex=0)  # equal to nothing that can be open
        self.filed.emit()

    def take_theirs(self, doc: Document, stamp: Stamp) -> None:
        """Take what somebody else saved; one's own version comes back by Undo."""
        self.stamp = stamp
        self.apply("Take what is on disk", lambda _: doc)
        self._saved = self.doc
        self.filed.emit()

    def open(self, path: Path) -> None:
        """Read a project; raises MivexError and leaves the open one as it is."""
        whole = path.resolve()
        doc, stamp = open_project(whole)
        lock = project_lock(whole)
        self.take(doc, whole, stamp, lock if lock.take() else None)

    def saved_as(self, made: Saving) -> None:
        """The background has written the project; edits made meanwhile stay unsaved."""
        old, new = self.folder, str(made.path.parent)
        if self.path != made.path:
            self.leave()
            self._lock = made.lock
        if old != new:
            # Picture paths are now relative to another folder; older entries would not find theirs.
            self._back = [(relocated(d, old, new), label) for d, label in self._back]
            self._forward = [(relocated(d, old, new), label) for d, label in self._forward]
        now = made.written if self.doc is made.doc else relocated(self.doc, old, new) if old != new else self.doc
        self.path, self.stamp = made.path, made.stamp
        self.evaluator.folder, self.evaluator.bakes = new, bakes_folder(made.path)
        self._saved = made.written
        remember_project(made.path)
        self._put(now)


def title_of(session: Session) -> str:
    """Name of the open project, with a mark while it is unsaved."""
    name = session.path.stem if session.path else "Untitled"
    return name + (", open in another window too" if session.elsewhere else "") + ("" if session.saved else " •")

"""The open project: its document, its history, its file."""

import os
from collections.abc import Callable
from pathlib import Path
from typing import Any

from PySide6.QtCore import QObject, QSettings, Signal

from mivex.core.prepare import STEPS
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import Workshop
from mivex.core.project.file import absolute, moved, read_project, write_project

Edit = Callable[[Document], Document]
HISTORY = 400


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
        self.doc = Document()
        self.path: Path | None = None
        self.shop = Workshop(Path.cwd())
        self.overlay_id = ""
        self.place_id = ""
        self.step_index = -1
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
        """Nothing would be lost by closing."""
        return self.doc is self._saved or self.doc == self._saved

    @property
    def title(self) -> str:
        """Name of the project, with a mark while it is unsaved."""
        return (self.path.stem if self.path else "Untitled") + ("" if self.saved else " •")

    def apply(self, label: str, edit: Edit, merge: str = "") -> None:
        """Make an edit.

        Parameters
        ----------
        label : str
            What it does, as Undo names it.
        edit : callable
            Document to document.
        merge : str
            Edits with the same word, until `end_merge`, make one entry, as in a slider drag.
        """
        fresh = edit(self.doc)
        if fresh == self.doc:
            return
        if not (merge and self._merge == merge and self._back):
            self._back.append((self.doc, label))
            del self._back[:-HISTORY]
        self._merge = merge
        self._forward.clear()
        self._put(fresh)

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
        if self.overlay is None:
            self.overlay_id = doc.overlays[-1].id if doc.overlays else ""
        overlay = self.overlay
        if overlay is None or all(p.id != self.place_id for p in overlay.places):
            self.place_id = overlay.places[0].id if overlay and overlay.places else ""
        self.changed.emit()
        self.filed.emit()

    def choose(self, overlay_id: str, place_id: str = "") -> None:
        """Select an overlay, and one of its placements."""
        overlay = self.doc.overlay(overlay_id)
        if overlay is None:
            return
        self.overlay_id = overlay_id
        ids = [p.id for p in overlay.places]
        self.place_id = place_id if place_id in ids else (ids[0] if ids else "")
        self.step_index = -1
        self.end_merge()
        self.chosen.emit()

    def activate(self, index: int) -> None:
        """Make a step the active one: it is open, and its handles stand in the flat proof."""
        if index != self.step_index:
            self.step_index = index
            self.stepped.emit()

    def _start(self, doc: Document, path: Path | None) -> None:
        self.path = path
        self.shop = Workshop(self.folder)
        self._back.clear()
        self._forward.clear()
        self.end_merge()
        self._saved = doc
        self.overlay_id = doc.overlays[0].id if doc.overlays else ""
        self.place_id = ""
        self._put(doc)
        self.chosen.emit()

    def new(self) -> None:
        """Start an empty project."""
        self._start(Document(), None)

    def take(self, doc: Document, path: Path | None) -> None:
        """Take a project that has been read."""
        self._start(doc, path)
        if path:
            self._remember(path)

    def restore(self, doc: Document, path: Path | None) -> None:
        """Take work that was kept aside; it counts as unsaved."""
        self._start(doc, path)
        self._saved = Document()
        self.filed.emit()

    def open(self, path: Path) -> None:
        """Read a project; raises MivexError and leaves the open one as it is."""
        self.take(read_project(path), path.resolve())

    def save(self, path: Path | None = None) -> None:
        """Write the project; raises MivexError and changes nothing."""
        target = (path or self.path)
        assert target is not None
        target = target.resolve()
        doc = self.doc
        if str(target.parent) != self.folder:
            doc = moved(doc, self.folder, target.parent)
        write_project(target, doc)
        if doc is not self.doc:
            # Picture paths are now relative to another folder; older entries would not find theirs.
            old = self.folder
            self._back = [(moved(d, old, target.parent), label) for d, label in self._back]
            self._forward = [(moved(d, old, target.parent), label) for d, label in self._forward]
        self.path = target
        self.shop.folder = str(target.parent)
        self._saved = doc
        self._remember(target)
        self._put(doc)

    def sources(self) -> list[str]:
        """Absolute paths of every picture the project reads."""
        rows = [o.source.path for o in self.doc.overlays]
        rows += [f for o in self.doc.overlays for s in o.steps for f in STEPS[s.step].files(s)]
        return sorted({absolute(p, self.folder) for p in rows if p})

    @staticmethod
    def recent() -> list[str]:
        """Projects opened lately, newest first."""
        found: Any = QSettings("mivex", "mivex").value("recent", [])
        rows = [found] if isinstance(found, str) else list(found or [])
        return [str(r) for r in rows]

    def _remember(self, path: Path) -> None:
        rows = [str(path)] + [r for r in self.recent() if r != str(path)]
        QSettings("mivex", "mivex").setValue("recent", rows[:8])

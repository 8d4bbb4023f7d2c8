"""Autosave: unsaved work is kept aside, and offered again after a crash."""

import json
import os
from pathlib import Path

from PySide6.QtCore import QObject, QStandardPaths, QTimer

from mivex.core.base.store import write_text
from mivex.core.errors import MivexError
from mivex.core.project.document import Document
from mivex.core.project.file import dumps, loads
from mivex.ui.session import Session
from mivex.ui.worker import Latest

SECONDS = 15


def recovery_file() -> Path:
    """Where unsaved work is kept."""
    base = QStandardPaths.writableLocation(QStandardPaths.StandardLocation.AppLocalDataLocation)
    return Path(base or os.path.expanduser("~/.local/share/mivex")) / "unsaved.json"


class Recovery(QObject):
    """Writes the document aside every few seconds while it is unsaved."""

    def __init__(self, session: Session, parent: QObject) -> None:
        super().__init__(parent)
        self.session = session
        self.file = recovery_file()
        self._worker = Latest("autosave", self)
        self._kept: Document | None = None
        self._timer = QTimer(self, interval=SECONDS * 1000)
        self._timer.timeout.connect(self.keep)
        self._timer.start()

    def keep(self) -> None:
        """Write the document aside if it is unsaved and has changed since."""
        s = self.session
        if s.saved or s.doc is self._kept:
            return
        doc, folder, path, file = s.doc, s.folder, str(s.path or ""), self.file

        def work(_report, _stopped):  # type: ignore[no-untyped-def]
            file.parent.mkdir(parents=True, exist_ok=True)
            write_text(file, json.dumps({"folder": folder, "path": path, "project": json.loads(dumps(doc))}))

        self._kept = doc
        self._worker.ask(None, work)

    def found(self) -> tuple[Document, str, str] | None:
        """Work left over from a crash: document, its folder and its path; None if there is none."""
        try:
            kept = json.loads(self.file.read_text(encoding="utf-8"))
            return loads(kept["project"], "The work kept aside"), str(kept["folder"]), str(kept["path"])
        except (OSError, ValueError, KeyError, TypeError, MivexError):
            return None

    def forget(self) -> None:
        """The work is saved or was given up."""
        self._kept = None
        self.file.unlink(missing_ok=True)

    def end(self) -> None:
        """Stop keeping."""
        self._timer.stop()
        self._worker.end()

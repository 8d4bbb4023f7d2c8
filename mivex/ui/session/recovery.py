"""Autosave: unsaved work is kept aside every few seconds."""

from PySide6.QtCore import QObject, QTimer, Signal

from mivex.core.base.messages import Message, term
from mivex.core.project.document import Document
from mivex.core.project.keeping import Keeper
from mivex.ui.session.session import Session

SECONDS = 15


class Recovery(QObject):
    """Writes the document aside every few seconds while it is unsaved.

    Signals
    -------
    failed(sentence)
        It could not be written; it is tried again at the next turn.
    """

    failed = Signal(object)  # a Message; as str it would lose its template

    def __init__(self, session: Session, parent: QObject) -> None:
        super().__init__(parent)
        self.session = session
        self.keeper = Keeper()
        self.worker = session.workers.latest("autosave", self._failed)
        self._kept: Document | None = None
        self._timer = QTimer(self, interval=SECONDS * 1000)
        self._timer.timeout.connect(self.keep)
        self._timer.start()

    def keep(self) -> None:
        """Write the document aside if it is unsaved and has changed since."""
        s = self.session
        if s.saved or s.doc is self._kept:
            return
        doc, path, folder, stamp, turn = s.doc, str(s.path or ""), s.folder, s.stamp, self.keeper.turn
        self._kept = doc
        self.worker.ask(None, lambda _report, _stopped: self.keeper.keep(doc, path, folder, stamp, turn))

    def _failed(self, why: str) -> None:
        self._kept = None
        self.failed.emit(Message("Unsaved work could not be kept aside and will be tried again: {why}", why=term(why)))

    def forget(self) -> None:
        """The work is saved or was given up."""
        self._kept = None
        self.keeper.forget()

    def end(self) -> None:
        """End the thread that keeps unsaved work."""
        self._timer.stop()
        self.keeper.end()

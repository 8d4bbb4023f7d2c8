"""Leaving a project: what is unsaved, or has not arrived, is asked about when it is to be left, not before."""

from collections.abc import Callable
from pathlib import Path

from PySide6.QtCore import QTimer
from PySide6.QtGui import QCloseEvent
from PySide6.QtWidgets import QMainWindow, QMessageBox

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, joined
from mivex.core.project.keeping import Kept
from mivex.ui.session.recovery import Recovery
from mivex.ui.session.session import Session, title_of
from mivex.ui.session.worker import Queue

Then = Callable[[], object]


class LeavingActions(QMainWindow):
    """The part of the window that asks, and lets a project be left."""

    session: Session

    jobs: Queue

    saver: Queue

    shipper: Queue

    recovery: Recovery

    _closing = False

    def save(self, then: Then = lambda: None, stay: Then = lambda: None) -> None:
        """Save, and do ``then``; or ``stay``, where that cannot be."""
        raise NotImplementedError

    def commit_typing(self) -> None:
        """What is half typed in a field becomes an edit."""
        raise NotImplementedError

    def end(self) -> None:
        """Stop every thread."""
        raise NotImplementedError

    def _ask(self, text: str, answers: dict[str, str], usual: str) -> str:
        box = QMessageBox(self)
        box.setText(tr(text))
        roles = QMessageBox.ButtonRole
        buttons = {
            key: box.addButton(tr(words), roles.RejectRole if key == "keep" else roles.AcceptRole)
            for key, words in answers.items()
        }
        box.setDefaultButton(buttons[usual])
        box.exec()
        return next((key for key, b in buttons.items() if b is box.clickedButton()), "keep")

    def ask_unsaved(self) -> str:
        """Ask what becomes of unsaved work: ``save``, ``discard`` or ``keep`` working."""
        return self._ask(
            Message("“{title}” has changes that are not saved.", title=title_of(self.session).removesuffix(" •")),
            {"save": "Save", "discard": "Discard", "keep": "Keep working"},
            "save",
        )

    def ask_changed(self, path: Path) -> str:
        """Ask about a file that somebody else wrote: ``beside``, ``theirs``, ``overwrite`` or ``keep`` working."""
        return self._ask(
            Message(
                "“{name}” was changed on disk since it was opened here. What shall become of your version?", name=path.name
            ),
            {
                "beside": "Keep mine beside it",
                "theirs": "Take theirs",
                "overwrite": "Overwrite theirs",
                "keep": "Keep working",
            },
            "beside",
        )

    def ask_kept(self, kept: Kept) -> str:
        """Ask about work left by a window that did not close: ``restore``, ``lose`` or ``keep`` it for later."""
        name = f"“{Path(kept.path).name}”" if kept.path else "an untitled project"
        return self._ask(
            Message("Mivex did not close properly. Unsaved work on {name} was kept aside.", name=name),
            {"restore": "Restore it", "lose": "Throw it away", "keep": "Ask again later"},
            "restore",
        )

    def ask_under_way(self, waiting: tuple[Queue, ...]) -> str:
        """Ask about what was asked for and has not arrived: ``stop`` it, or ``keep`` working."""
        words = []
        if not self.jobs.idle:
            words.append("Files are still being read; what they bring is not in the project yet.")
        if self.shipper in waiting and not self.shipper.idle:
            words.append("A delivery is under way; stopped, it writes nothing.")
        return self._ask(joined(" ", words), {"stop": "Leave without it", "keep": "Keep working"}, "keep")

    def may_leave(self, then: Then, stay: Then = lambda: None, waiting: tuple[Queue, ...] = ()) -> None:
        """Do ``then`` once the open project may be left, or ``stay`` where the artist keeps working.

        Asks if work is unsaved, or if something asked for in one of the queues ``waiting`` has not arrived yet. Saving
        first takes a while, and what is changed in that while is asked about as well.
        """
        self.commit_typing()
        if not self.saver.idle:
            # Saves that were asked for come first; then it is known whether anything is unsaved.
            self.saver.ask(
                None,
                lambda: lambda _report, _stopped: lambda: QTimer.singleShot(0, lambda: self.may_leave(then, stay, waiting)),
            )
            return
        if any(not q.idle for q in waiting) and self.ask_under_way(waiting) != "stop":
            stay()
            return
        if self.session.saved:
            then()
            return
        answer = self.ask_unsaved()
        if answer == "discard":
            then()
        elif answer == "save":
            self.save(lambda: self.may_leave(then, stay, waiting), stay)
        else:
            stay()

    def closeEvent(self, event: QCloseEvent) -> None:
        if self._closing:
            event.accept()
            return
        event.ignore()
        self.may_leave(self._leave, waiting=(self.jobs, self.shipper))
        if self._closing:
            # There was nothing to save: Qt closes no window from within its closing.
            event.accept()

    def _leave(self) -> None:
        self._closing = True
        self.end()
        self.recovery.forget()
        self.recovery.end()
        self.session.leave()
        self.close()

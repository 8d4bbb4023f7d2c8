"""Opening, saving and leaving projects; nobody's work is overwritten in silence. Files are touched in the background."""

from collections.abc import Callable
from pathlib import Path

from PySide6.QtCore import QEvent, QSettings
from PySide6.QtGui import QCloseEvent
from PySide6.QtWidgets import QFileDialog, QMainWindow, QMenu, QMessageBox

from mivex.core.project.backups import Earlier, earlier_of, keep_earlier
from mivex.core.project.file import ChangedOnDisk, Stamp, open_project, read_project, relocated, write_project
from mivex.core.project.gathering import FOLDER, collected, found_again, missing, told, with_found
from mivex.core.project.keeping import Kept, give_up, left_behind, project_lock
from mivex.ui.session.recovery import Recovery
from mivex.ui.session.session import Saving, Session
from mivex.ui.session.worker import Latest
from mivex.ui.shell.earlier import EarlierSaves

Then = Callable[[], object]
PROJECTS = "Mivex projects (*.mivex)"


def beside(path: Path) -> Path:
    """A free name beside a project, for one's own version of it."""
    number = 2
    while (there := path.with_name(f"{path.stem} {number}{path.suffix}")).exists():
        number += 1
    return there


class ProjectActions(QMainWindow):
    """The part of the window that deals with the project's file."""

    session: Session
    jobs: Latest
    saver: Latest
    recovery: Recovery
    finder: Latest
    _closing = False
    _noticed = Stamp()

    def tell(self, sentence: str) -> None:
        """Show one sentence for a while."""
        raise NotImplementedError

    def go(self, station: str) -> None:
        """Go to a station of the track."""
        raise NotImplementedError

    def end(self) -> None:
        """Stop every thread."""
        raise NotImplementedError

    # Asking --------------------------------------------------------------------------------------

    def _ask(self, text: str, answers: dict[str, str], usual: str) -> str:
        box = QMessageBox(self)
        box.setText(text)
        roles = QMessageBox.ButtonRole
        buttons = {key: box.addButton(words, roles.RejectRole if key == "keep" else roles.AcceptRole)
                   for key, words in answers.items()}
        box.setDefaultButton(buttons[usual])
        box.exec()
        return next((key for key, b in buttons.items() if b is box.clickedButton()), "keep")

    def ask_unsaved(self) -> str:
        """Ask what becomes of unsaved work: ``save``, ``discard`` or ``keep`` working."""
        return self._ask(f"“{self.session.title.removesuffix(' •')}” has changes that are not saved.",
                         {"save": "Save", "discard": "Discard", "keep": "Keep working"}, "save")

    def ask_changed(self, path: Path) -> str:
        """Ask about a file that somebody else wrote: ``beside``, ``theirs``, ``overwrite`` or ``keep`` working."""
        return self._ask(f"“{path.name}” was changed on disk since it was opened here. What shall become of your version?",
                         {"beside": "Keep mine beside it", "theirs": "Take theirs", "overwrite": "Overwrite theirs",
                          "keep": "Keep working"}, "beside")

    def ask_kept(self, kept: Kept) -> str:
        """Ask about work left by a window that did not close: ``restore``, ``lose`` or ``keep`` it for later."""
        name = f"“{Path(kept.path).name}”" if kept.path else "an untitled project"
        return self._ask(f"Mivex did not close properly. Unsaved work on {name} was kept aside.",
                         {"restore": "Restore it", "lose": "Throw it away", "keep": "Ask again later"}, "restore")

    # Leaving -------------------------------------------------------------------------------------

    def may_leave(self, then: Then) -> None:
        """Do ``then`` once the open project may be left; asks if work is unsaved."""
        if self.session.saved:
            then()
            return
        answer = self.ask_unsaved()
        if answer == "discard":
            then()
        elif answer == "save":
            self.save(then)

    def closeEvent(self, event: QCloseEvent) -> None:
        if self._closing:
            event.accept()
            return
        event.ignore()
        self.may_leave(self._leave)
        if self._closing:
            # There was nothing to save: Qt closes no window from within its closing.
            event.accept()

    def _leave(self) -> None:
        self._closing = True
        self.recovery.forget()
        self.session.leave()
        self.end()
        self.close()

    # Opening -------------------------------------------------------------------------------------

    def new(self) -> None:
        """Start an empty project."""
        def begin() -> None:
            self.recovery.forget()
            self.session.new()
            self.go("source")

        self.may_leave(begin)

    def ask_open(self) -> None:
        """Ask for a project and open it."""
        path, _ = QFileDialog.getOpenFileName(self, "Open a project", self.session.folder, PROJECTS)
        if path:
            self.open(path)

    def open(self, path: str, *, offer: bool = False, then: Then | None = None) -> None:
        """Open a project, read in the background; if it cannot be read the present one stays.

        ``offer`` asks about unsaved work on it that a crash left behind; ``then`` is done once it is open.
        """
        def work(report, _stopped):  # type: ignore[no-untyped-def]
            whole = Path(path).resolve()
            doc, stamp = open_project(whole)
            lock = project_lock(whole)
            report(("open", doc, whole, stamp, lock if lock.take() else None, then))
            if offer:
                report(("kept", left_behind(str(whole))))

        self.may_leave(lambda: self.jobs.ask(None, work))

    def take_opened(self, part: tuple) -> None:
        """Take a project that the background has read."""
        _, doc, path, stamp, lock, _ = part
        self.recovery.forget()
        self.session.take(doc, path, stamp, lock)
        self.find_files(quiet=True)
        if lock is None:
            self.tell(f"“{path.name}” is open in another window of Mivex as well; whoever saves second is asked first.")

    def offer_kept(self, project: str = "") -> None:
        """Look for work that a crash left behind, and offer it; ``project`` narrows it to one file."""
        self.jobs.ask(None, lambda report, _stopped: report(("kept", left_behind(project))))

    def take_kept(self, rows: list[Kept]) -> None:
        """Ask about each piece of work left behind, until one is restored."""
        for kept in rows:
            answer = self.ask_kept(kept)
            if answer == "restore":
                self.recovery.keeper.adopt(kept)
                self.session.restore(kept.doc, Path(kept.path) if kept.path else None, kept.stamp, kept.folder)
                return
            if answer == "lose":
                give_up(kept)

    def open_demo(self) -> None:
        """Open the demo project."""
        from mivex.demo import PROJECT

        self.open(str(PROJECT), then=self.greet)

    def greet(self) -> None:
        """Say that there is a tour, to those who have not taken it."""
        if not QSettings("mivex", "mivex").contains("tour"):
            self.tell("New here? “A short tour of the demo” in the menu Help goes round in ten stops   (Shift+F6).")

    def fill_recent(self, menu: QMenu) -> None:
        """List the projects opened lately in the menu."""
        menu.clear()
        rows = self.session.recent()
        for path in rows:
            menu.addAction(path, lambda p=path: self.open(p))
        if not rows:
            menu.addAction("None yet").setEnabled(False)

    def ask_earlier(self) -> None:
        """Ask which earlier save is to be opened."""
        path = self.session.path
        if path is None:
            self.tell("This project has not been saved yet.")
            return
        rows = earlier_of(path)
        if not rows:
            self.tell("No earlier save of this project was kept yet; each save keeps the one before it.")
            return
        dialog = EarlierSaves(path.stem, rows, self)
        if dialog.exec() and dialog.chosen is not None:
            self.open_earlier(dialog.chosen)

    def open_earlier(self, row: Earlier) -> None:
        """Open an earlier save in place of the present one; undo brings that back."""
        def work(report, _stopped):  # type: ignore[no-untyped-def]
            report(("earlier", read_project(row.file)))

        self.jobs.ask(None, work)

    # Files of the project ------------------------------------------------------------------------

    def collect(self) -> None:
        """Copy every file that lies elsewhere beside the project, and name it there."""
        s = self.session
        if s.path is None:
            self.tell("Save the project first; its files are collected beside it.")
            return
        doc, folder = s.doc, s.folder

        def work(report, stopped):  # type: ignore[no-untyped-def]
            made = collected(doc, folder, stopped)
            if made.doc != doc:
                report(("paths", doc, made.doc, "Collect its files"))
            lost = f" {told(made.missing)} could not be found." if made.missing else ""
            if not made.copied:
                return "Every file lies beside the project already." + lost
            return f"{made.copied} file{'' if made.copied == 1 else 's'} copied into “{FOLDER}” beside the project." + lost

        self.jobs.ask(None, work)

    def find_files(self, also: str = "", *, quiet: bool = False) -> None:
        """Look for files that have been moved; ``quiet`` says nothing where none is missing."""
        doc, folder = self.session.doc, self.session.folder

        def work(report, stopped):  # type: ignore[no-untyped-def]
            gone = missing(doc, folder)
            if not gone:
                return "" if quiet else "No file of this project is missing."
            moved = found_again(doc, folder, [also] if also else (), stopped)
            if moved:
                report(("paths", doc, with_found(doc, moved), "Find moved files"))
            left = [p for p in gone if p not in moved]
            words = [f"{told(moved)} {'was' if len(moved) == 1 else 'were'} found again."] if moved else []
            if left:
                words.append(f"{told(left)} {'is' if len(left) == 1 else 'are'} missing; “Find moved files …” looks in a "
                             "folder of your choice.")
            return " ".join(words)

        self.finder.ask(None, work)

    def ask_find(self) -> None:
        """Ask for a folder and look for missing files in it."""
        also = QFileDialog.getExistingDirectory(self, "Look for moved files in", self.session.folder)
        if also:
            self.find_files(also)

    def take_paths(self, part: tuple) -> None:
        """Take the paths that the background has worked out, unless the project is another one by now."""
        _, old, new, words = part
        if self.session.doc is old:
            self.session.apply(words, lambda _: new)

    def look_at_disk(self) -> None:
        """Notice that somebody else has written the project's file."""
        path, stamp = self.session.path, self.session.stamp
        if path is None or not self.saver.idle:
            return

        def work(_report, _stopped):  # type: ignore[no-untyped-def]
            now = Stamp.on_disk(path)
            if now in (stamp, Stamp(), self._noticed):
                return ""
            self._noticed = now
            return f"“{path.name}” was changed on disk by somebody else; saving will ask before anything is overwritten."

        self.finder.ask(None, work)

    def changeEvent(self, event: QEvent) -> None:
        super().changeEvent(event)
        if event.type() == QEvent.Type.ActivationChange and self.isActiveWindow() and hasattr(self, "finder"):
            self.look_at_disk()

    # Saving --------------------------------------------------------------------------------------

    def save(self, then: Then = lambda: None) -> None:
        """Save, asking for a name where there is none; ``then`` follows once it is on disk."""
        if self.session.path:
            self._save(self.session.path, self.session.stamp, then)
        else:
            self.save_as(then)

    def save_as(self, then: Then = lambda: None) -> None:
        """Ask for a name and save under it."""
        path, _ = QFileDialog.getSaveFileName(self, "Save the project", self.session.folder, PROJECTS)
        if path:
            # The dialog has asked already whether a file of that name may be replaced.
            self._save(Path(path if path.endswith(".mivex") else path + ".mivex"), None, then)

    def _save(self, path: Path, seen: Stamp | None, then: Then) -> None:
        target = path.resolve()
        s = self.session
        doc, folder = s.doc, s.folder
        mine = s.path == target

        def work(_report, _stopped):  # type: ignore[no-untyped-def]
            fresh = doc if str(target.parent) == folder else relocated(doc, folder, target.parent)
            if target.exists():
                keep_earlier(target)
            try:
                stamp = write_project(target, fresh, seen)
            except ChangedOnDisk as e:
                return e
            lock = None
            if not mine:
                lock = project_lock(target)
                lock = lock if lock.take() else None
            return Saving(target, doc, fresh, stamp, lock)

        self.saver.ask((target, then), work)

    def saving_done(self, token: object, made: object) -> None:
        """A save has come to its end."""
        assert isinstance(token, tuple)
        target, then = token
        if isinstance(made, ChangedOnDisk):
            self._settle_changed(target, then)
            return
        assert isinstance(made, Saving)
        self.session.saved_as(made)
        if self.session.saved:
            self.recovery.forget()
        self.tell(f"Saved as “{target}”.")
        then()

    def _settle_changed(self, target: Path, then: Then) -> None:
        answer = self.ask_changed(target)
        if answer == "beside":
            self._save(beside(target), None, then)
        elif answer == "overwrite":
            self._save(target, None, then)
        elif answer == "theirs":
            def work(report, _stopped):  # type: ignore[no-untyped-def]
                report(("theirs", *open_project(target)))
            self.jobs.ask(None, work)

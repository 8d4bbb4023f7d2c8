"""Opening, saving and leaving projects; nobody's work is overwritten in silence. Files are touched in the background.

Whatever the background brings is taken by the rule of `mivex.ui.session.worker`: an edit of the document of that moment.
Who leaves a project is asked when it is to be left, not before: what was changed meanwhile counts.
"""

from pathlib import Path

from PySide6.QtCore import QEvent, QSettings
from PySide6.QtWidgets import QFileDialog, QMenu

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, joined, term
from mivex.core.project.backups import Earlier, earlier_of, keep_earlier
from mivex.core.project.document import Document
from mivex.core.project.file import ChangedOnDisk, Stamp, open_project, read_project, relocated, write_project
from mivex.core.project.gathering import FOLDER, collected, found_again, missing, told, with_found
from mivex.core.project.keeping import Kept, Lock, give_up, left_behind, project_lock
from mivex.ui.session.recent import recent_projects
from mivex.ui.session.session import Saving
from mivex.ui.session.worker import LatestOnlyWorker, Queue, Work
from mivex.ui.shell.earlier import EarlierSaves
from mivex.ui.shell.leaving import LeavingActions, Then

PROJECTS = "Mivex projects (*.mivex)"


def beside(path: Path) -> Path:
    """A free name beside a project, for one's own version of it."""
    number = 2
    while (there := path.with_name(f"{path.stem} {number}{path.suffix}")).exists():
        number += 1
    return there


class ProjectActions(LeavingActions):
    """The part of the window that deals with the project's file."""

    finder: Queue
    disk: LatestOnlyWorker
    _noticed = Stamp()

    def tell(self, sentence: str) -> None:
        """Show one sentence for a while."""
        raise NotImplementedError

    def go(self, station: str) -> None:
        """Go to a station of the track."""
        raise NotImplementedError

    def look_from_first(self) -> None:
        """Let the stage look from the first camera of the project."""
        raise NotImplementedError

    # Asking --------------------------------------------------------------------------------------

    # Leaving -------------------------------------------------------------------------------------

    # Opening -------------------------------------------------------------------------------------

    def new(self) -> None:
        """Start an empty project."""

        def begin() -> None:
            # What still waits was asked for in the project that is left; it must not arrive in the new one.
            self.jobs.clear()
            self.recovery.forget()
            self.session.new()
            self.go("source")

        self.may_leave(begin, waiting=(self.jobs,))

    def ask_open(self) -> None:
        """Ask for a project and open it."""
        path, _ = QFileDialog.getOpenFileName(self, tr("Open a project"), self.session.folder, tr(PROJECTS))
        if path:
            self.open(path)

    def open(self, path: str, *, offer: bool = False, then: Then | None = None) -> None:
        """Open a project, read in the background; if it cannot be read the present one stays.

        ``offer`` asks about unsaved work on it that a crash left behind; ``then`` is done once it is open.
        """

        def work(_report, _stopped):  # type: ignore[no-untyped-def]
            whole = Path(path).resolve()
            doc, stamp = open_project(whole)
            # The lock of the project that is open already is held: taking it again would find it taken.
            lock = project_lock(whole) if whole != self.session.path else None
            held = lock if lock is not None and lock.take() else None
            kept = left_behind(str(whole)) if offer else []
            return lambda: arrived(doc, whole, stamp, held, kept)

        def arrived(doc: Document, whole: Path, stamp: Stamp, lock: Lock | None, kept: list[Kept]) -> None:
            def leave() -> None:
                self.take_opened(doc, whole, stamp, lock)
                if then is not None:
                    then()
                self.take_kept(kept)
                self.jobs.release()

            def stay() -> None:
                if lock is not None:
                    lock.free()
                self.jobs.release()

            # What was asked for after it waits until it is known which project is the open one.
            self.jobs.hold()
            self.may_leave(leave, stay)

        self.jobs.ask(None, lambda: work)

    def take_opened(self, doc: Document, path: Path, stamp: Stamp, lock: Lock | None) -> None:
        """Take a project that the background has read."""
        self.recovery.forget()
        self.session.take(doc, path, stamp, lock)
        self.look_from_first()
        self.find_files(quiet=True)
        if self.session.elsewhere:
            self.tell(
                Message(
                    "“{name}” is open in another window of Mivex as well; whoever saves second is asked first.",
                    name=path.name,
                )
            )

    def offer_kept(self, project: str = "") -> None:
        """Look for work that a crash left behind, and offer it; ``project`` narrows it to one file."""

        def work(_report, _stopped):  # type: ignore[no-untyped-def]
            rows = left_behind(project)
            return lambda: self.take_kept(rows)

        self.jobs.ask(None, lambda: work)

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
        rows = recent_projects()
        for path in rows:
            menu.addAction(path, lambda p=path: self.open(p))
        if not rows:
            menu.addAction(tr("None yet")).setEnabled(False)

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

        def work(_report, _stopped):  # type: ignore[no-untyped-def]
            doc = read_project(row.file)
            return lambda: self.session.apply("Open an earlier save", lambda _: doc)

        self.jobs.ask(None, lambda: work)

    # Files of the project ------------------------------------------------------------------------

    def collect(self) -> None:
        """Copy every file that lies elsewhere beside the project, and name it there."""
        s = self.session
        if s.path is None:
            self.tell("Save the project first; its files are collected beside it.")
            return
        project = s.project

        def begin() -> Work:
            # The document of the moment when the work begins, not of the moment when it was asked for.
            doc, folder = s.doc, s.folder

            def work(report, stopped):  # type: ignore[no-untyped-def]
                made = collected(doc, folder, stopped)
                report(lambda: self._name_files("Collect its files", made.moved, project))
                lost = Message(" {missing} could not be found.", missing=told(made.missing)) if made.missing else ""
                if not made.copied:
                    return "Every file lies beside the project already." + lost
                return (
                    Message(
                        "{copied} file{ending} copied into “{folder}” beside the project.",
                        copied=made.copied,
                        ending=term("" if made.copied == 1 else "s"),
                        folder=FOLDER,
                    )
                    + lost
                )

            return work

        self.jobs.ask(None, begin)

    def _name_files(self, words: str, moved: dict[str, str], project: int) -> None:
        """Name files where they lie now, in the document of this moment, unless another project is open by now."""
        # Files that were found for another project name nothing here.
        if moved and project == self.session.project:
            self.session.apply(words, lambda d: with_found(d, moved))

    def find_files(self, also: str = "", *, quiet: bool = False) -> None:
        """Look for files that have been moved; ``quiet`` says nothing where none is missing."""
        doc, folder, project = self.session.doc, self.session.folder, self.session.project

        def work(report, stopped):  # type: ignore[no-untyped-def]
            gone = missing(doc, folder)
            if not gone:
                return "" if quiet else "No file of this project is missing."
            moved = found_again(doc, folder, [also] if also else (), stopped)
            report(lambda: self._name_files("Find moved files", moved, project))
            left = [p for p in gone if p not in moved]
            words = (
                [Message("{moved} {word} found again.", moved=told(moved), word=term("was" if len(moved) == 1 else "were"))]
                if moved
                else []
            )
            if left:
                words.append(
                    Message(
                        "{left} {ending} missing; “Find moved files …” looks in a folder of your choice.",
                        left=told(left),
                        ending=term("is" if len(left) == 1 else "are"),
                    )
                )
            return joined(" ", words) if words else ""

        self.finder.ask(None, lambda: work)

    def ask_find(self) -> None:
        """Ask for a folder and look for missing files in it."""
        also = QFileDialog.getExistingDirectory(self, tr("Look for moved files in"), self.session.folder)
        if also:
            self.find_files(also)

    def look_at_disk(self) -> None:
        """Notice that somebody else has written the project's file."""
        path, stamp = self.session.path, self.session.stamp
        if path is None or not self.saver.idle:
            return

        def work(_report, _stopped):  # type: ignore[no-untyped-def]
            # Nothing there counts as unchanged: a file that is being replaced is gone for a moment.
            now = Stamp.on_disk(path)
            if now in (stamp, Stamp(), self._noticed):
                return ""
            self._noticed = now
            return Message(
                "“{name}” was changed on disk by somebody else; saving will ask before anything is overwritten.",
                name=path.name,
            )

        self.disk.ask(None, work)

    def changeEvent(self, event: QEvent) -> None:
        super().changeEvent(event)
        if event.type() == QEvent.Type.ActivationChange and self.isActiveWindow() and hasattr(self, "disk"):
            self.look_at_disk()

    # Saving --------------------------------------------------------------------------------------

    def save(self, then: Then = lambda: None, stay: Then = lambda: None) -> None:
        """Save, asking for a name where there is none.

        ``then`` follows once it is on disk, ``stay`` where it was not written.
        """
        if self.session.path:
            self._save(self.session.path, then, stay)
        else:
            self.save_as(then, stay)

    def save_as(self, then: Then = lambda: None, stay: Then = lambda: None) -> None:
        """Ask for a name and save under it."""
        path, _ = QFileDialog.getSaveFileName(self, tr("Save the project"), self.session.folder, tr(PROJECTS))
        if path:
            # The dialog has asked already whether a file of that name may be replaced.
            self._save(Path(path if path.endswith(".mivex") else path + ".mivex"), then, stay, replace=True)
        else:
            stay()

    # Typing that has not been taken yet belongs to what is saved.
    def _save(self, path: Path, then: Then, stay: Then, *, replace: bool = False) -> None:
        """Line a save up; ``replace`` writes whatever lies there. Each writes the document of its own asking."""
        self.commit_typing()
        s = self.session
        target, doc, folder, project = path.resolve(), s.doc, s.folder, s.project

        def begin() -> Work:
            # A save under a new name has no earlier file to compare with: then whatever lies there was asked about.
            # A save before this one may have been the first under this name: stamp and lock are those of this moment.
            mine = s.path == target
            seen = s.stamp if mine and not replace else None

            def work(_report, _stopped):  # type: ignore[no-untyped-def]
                fresh = doc if str(target.parent) == folder else relocated(doc, folder, target.parent)
                if target.exists():
                    # The file as it was, before it is replaced: each save can be taken back.
                    keep_earlier(target)
                try:
                    stamp = write_project(target, fresh, seen)
                except ChangedOnDisk:
                    return lambda: self._settle_changed(target, then, stay)
                lock = project_lock(target) if not mine else None
                held = lock if lock is not None and lock.take() else None
                return lambda: written(Saving(target, doc, fresh, stamp, held))

            return work

        def written(made: Saving) -> None:
            if project == s.project:
                s.saved_as(made)
                if s.saved:
                    self.recovery.forget()
            elif made.lock is not None:
                made.lock.free()  # another project is open by now; this one was written all the same
            self.tell(Message("Saved as “{target}”.", target=target))
            then()

        self.saver.ask(stay, begin)

    def _settle_changed(self, target: Path, then: Then, stay: Then) -> None:
        answer = self.ask_changed(target)
        # Beside it: both versions stay, and nobody has lost anything.
        if answer == "beside":
            self._save(beside(target), then, stay, replace=True)
        elif answer == "overwrite":
            self._save(target, then, stay, replace=True)
        elif answer == "theirs":

            def work(_report, _stopped):  # type: ignore[no-untyped-def]
                theirs = open_project(target)
                return lambda: self.session.take_theirs(*theirs)

            self.jobs.ask(None, lambda: work)
            stay()
        else:
            stay()

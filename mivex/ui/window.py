"""The window: rack, track, proofs, controls, tray."""

import re
from pathlib import Path

from PySide6.QtCore import Qt, QTimer
from PySide6.QtGui import QAction, QCloseEvent, QDragEnterEvent, QDropEvent, QKeySequence
from PySide6.QtWidgets import (
    QButtonGroup,
    QFileDialog,
    QHBoxLayout,
    QLabel,
    QMainWindow,
    QMenu,
    QMessageBox,
    QSplitter,
    QVBoxLayout,
    QWidget,
)

from mivex.core.deliver.deliver import check_names, deliver_overlay
from mivex.core.errors import MivexError, Stopped
from mivex.core.findings import Finding
from mivex.core.image.files import READABLE, read_picture
from mivex.core.material.material import Kind
from mivex.core.project import edits
from mivex.core.project.file import absolute, read_project
from mivex.core.project.recipe import read_recipe, save_recipe
from mivex.ui import theme
from mivex.ui.controls import Controls
from mivex.ui.engine import Engine
from mivex.ui.flat_proof import FlatProof
from mivex.ui.rack import Rack
from mivex.ui.recovery import Recovery
from mivex.ui.session import Session
from mivex.ui.shortcuts import ShortcutSheet
from mivex.ui.stage_proof import StageProof
from mivex.ui.track import Track, station_of
from mivex.ui.tray import Tray
from mivex.ui.worker import Latest

_PICTURES = "Pictures (" + " ".join(f"*{s}" for s in READABLE) + ")"
_KIND_WORDS: tuple[tuple[str, Kind], ...] = (
    (r"glass|pane|window|porthole|lens|visor", "glass"), (r"logo|emblem|badge|crest", "logo"),
    (r"decal|registration|sign|stripe|chevron|stencil|stain|label|number", "decal"))


def guess_kind(path: str) -> Kind:
    """Kind of overlay that a file's name suggests; sprite where it says nothing."""
    stem = Path(path).stem.lower()
    return next((kind for words, kind in _KIND_WORDS if re.search(words, stem)), "sprite")


class Window(QMainWindow):
    """Main window."""

    def __init__(self) -> None:
        super().__init__()
        self.session = Session(self)
        self.engine = Engine(self.session, self)
        self.rack = Rack(self.session, self.engine)
        self.track = Track()
        self.flat = FlatProof(self.session, self.engine)
        self.stage = StageProof(self.session, self.engine)
        self.controls = Controls(self.session, self.engine, self.ask_picture)
        self.tray = Tray(self.session, self.engine)
        self.jobs = Latest("jobs", self)
        self.recovery = Recovery(self.session, self)
        self.setAcceptDrops(True)
        self._lay_out()
        self._menus()
        self._connect()
        self.resize(1280, 800)
        self.setMinimumSize(1100, 680)
        self._refresh()
        self.flat.canvas.setFocus()

    # Building ------------------------------------------------------------------------------------

    def _lay_out(self) -> None:
        top = QWidget()
        row = QHBoxLayout(top)
        row.setContentsMargins(0, 0, 10, 0)
        row.setSpacing(0)
        row.addSpacing(212)
        row.addWidget(self.track)
        row.addStretch()
        self.arrangement = QButtonGroup(self)
        for key, tip in (("both", "Flat proof and stage   (F2)"), ("flat", "Flat proof alone   (F3)"),
                         ("stage", "Stage alone   (F4)")):
            button = theme.tool(key, tip, checkable=True)
            button.setProperty("key", key)
            button.setFocusPolicy(Qt.FocusPolicy.NoFocus)
            button.clicked.connect(lambda _=False, k=key: self.arrange(k))  # type: ignore[misc]
            self.arrangement.addButton(button)
            row.addWidget(button)
        self.proofs = QSplitter(Qt.Orientation.Horizontal)
        self.proofs.setHandleWidth(4)
        self.proofs.setChildrenCollapsible(False)
        self.proofs.addWidget(self.flat)
        self.proofs.addWidget(self.stage)
        self.proofs.setSizes([380, 380])
        self.notice = QLabel("")
        self.notice.setObjectName("equation")
        self.notice.setWordWrap(True)
        self.notice.hide()
        self._notice_timer = QTimer(self, singleShot=True, interval=9000)
        self._notice_timer.timeout.connect(self.notice.hide)
        middle = QHBoxLayout()
        middle.setSpacing(4)
        centre = QVBoxLayout()
        centre.setSpacing(0)
        centre.addWidget(self.proofs, 1)
        centre.addWidget(self.notice)
        middle.addWidget(self.rack)
        middle.addLayout(centre, 1)
        middle.addWidget(self.controls)
        page = QWidget()
        column = QVBoxLayout(page)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        column.addWidget(top)
        column.addLayout(middle, 1)
        column.addSpacing(4)
        column.addWidget(self.tray)
        self.setCentralWidget(page)
        self.arrange("both")

    def _action(self, menu: QMenu, text: str, slot, keys: str = "") -> QAction:  # type: ignore[no-untyped-def]
        action = menu.addAction(text)
        if keys:
            action.setShortcut(QKeySequence(keys))
        action.triggered.connect(lambda _=False: slot())
        return action

    def _menus(self) -> None:
        bar = self.menuBar()
        file, edit = bar.addMenu("Project"), bar.addMenu("Edit")
        self._action(file, "New", self.new, "Ctrl+N")
        self._action(file, "Open …", self.ask_open, "Ctrl+O")
        self.recent = file.addMenu("Recent")
        self.recent.aboutToShow.connect(self._fill_recent)
        self._action(file, "Open the demo", self.open_demo)
        file.addSeparator()
        self._action(file, "Save", self.save, "Ctrl+S")
        self._action(file, "Save as …", self.save_as, "Ctrl+Shift+S")
        file.addSeparator()
        self._action(file, "Close", self.close, "Ctrl+Q")
        self.undo_action = self._action(edit, "Undo", self.session.undo, "Ctrl+Z")
        self.redo_action = self._action(edit, "Redo", self.session.redo, "Ctrl+Shift+Z")
        overlay = bar.addMenu("Overlay")
        self._action(overlay, "Add pictures …", self.ask_add, "Ctrl+I")
        self._action(overlay, "Copy", self.rack._copy, "Ctrl+D")
        self._action(overlay, "Remove", self.rack._remove, "Ctrl+Backspace")
        overlay.addSeparator()
        self._action(overlay, "Use a recipe …", self.ask_recipe)
        self._action(overlay, "Save its steps as a recipe …", self.ask_save_recipe)
        overlay.addSeparator()
        self._action(overlay, "Deliver …", lambda: self.ask_deliver(False), "Ctrl+E")
        self._action(overlay, "Deliver all …", lambda: self.ask_deliver(True), "Ctrl+Shift+E")
        view = bar.addMenu("View")
        for key, text, keys in (("both", "Flat proof and stage", "F2"), ("flat", "Flat proof alone", "F3"),
                                ("stage", "Stage alone", "F4")):
            self._action(view, text, lambda k=key: self.arrange(k), keys)
        view.addSeparator()
        c = self.flat.canvas
        self._action(view, "Whole picture", c.fit, "F")
        self._action(view, "One texel to one pixel", c.actual, "Shift+F")
        self._action(view, "Next backdrop", self.flat.next_backdrop, "B")
        self._action(view, "Before and after", self.flat.compare.toggle, "D")
        self._action(view, "Coarser mip level", lambda: self.flat.step_level(1), "]")
        self._action(view, "Finer mip level", lambda: self.flat.step_level(-1), "[")
        self._action(view, "Every mip level", self.flat.all_levels.toggle, "L")
        view.addSeparator()
        self._action(view, "Next camera", self._next_camera, "C")
        help_menu = bar.addMenu("Help")
        self._action(help_menu, "Keys", lambda: ShortcutSheet(self).exec(), "F1")

    def _connect(self) -> None:
        self.track.went.connect(self.go)
        self.rack.add_wanted.connect(self.ask_add)
        self.tray.shown.connect(self.show_finding)
        self.controls.deliver_wanted.connect(self.ask_deliver)
        self.controls.add_wanted.connect(self.ask_add)
        self.controls.demo_wanted.connect(self.open_demo)
        self.controls.pick_wanted.connect(self._pick)
        self.engine.notice.connect(self.tell)
        self.engine.examined.connect(self._refresh)
        for signal in (self.session.changed, self.session.chosen, self.session.filed):
            signal.connect(self._refresh)
        self.jobs.reported.connect(self._take_import)
        self.jobs.done.connect(lambda _t, text: self.tell(str(text)) if text else None)
        self.jobs.failed.connect(lambda _t, why: self.tell(why))

    # State ---------------------------------------------------------------------------------------

    def _refresh(self) -> None:
        s = self.session
        self.setWindowTitle(f"{s.title} — Mivex")
        self.undo_action.setEnabled(bool(s.undo_label))
        self.redo_action.setEnabled(bool(s.redo_label))
        self.undo_action.setText(f"Undo: {s.undo_label}" if s.undo_label else "Undo")
        self.redo_action.setText(f"Redo: {s.redo_label}" if s.redo_label else "Redo")
        self.track.show_state(s.overlay, self.controls.station, self.engine.findings.get(s.overlay_id, []))

    @property
    def idle(self) -> bool:
        """Nothing is being computed."""
        return (self.engine.idle and self.jobs.idle and self.flat.canvas.worker.idle
                and self.stage.canvas.worker.idle and self.rack._thumbs.idle)

    def tell(self, sentence: str) -> None:
        """Show one sentence under the proofs for a while."""
        self.notice.setText(sentence)
        self.notice.show()
        self._notice_timer.start()

    def go(self, station: str) -> None:
        """Go to a station of the track."""
        self.controls.go(station)
        self._refresh()

    def arrange(self, key: str) -> None:
        """Show ``both`` proofs, or ``flat`` or ``stage`` alone."""
        self.flat.setVisible(key != "stage")
        self.stage.setVisible(key != "flat")
        for b in self.arrangement.buttons():
            b.setChecked(b.property("key") == key)

    def show_finding(self, finding: Finding) -> None:
        """Go to the place of a finding."""
        if finding.overlay != self.session.overlay_id:
            self.session.choose(finding.overlay)
        self.go(station_of(finding))
        c = self.flat.canvas
        self.flat.refresh()
        if finding.id == "fringe":
            c.set_view(show="fringe", level=int(finding.details["level"]), levels=False)
        elif finding.id in ("matte", "border"):
            c.set_view(show="over", level=0, levels=False,
                       backdrop="white" if finding.id == "matte" and sum(finding.details["matte"]) < 1.5 else
                       "black" if finding.id == "matte" else c.view.backdrop)
        if finding.place and c.texture is not None:
            c.go_to(finding.place)

    def _pick(self, take) -> None:  # type: ignore[no-untyped-def]
        c = self.flat.canvas
        c.picking = True
        c.setCursor(Qt.CursorShape.CrossCursor)
        self.tell("Click on the flat proof to take the stored colour there.")

        def once(rgb: object) -> None:
            c.picked.disconnect(once)
            take(rgb)

        c.picked.connect(once)

    def _next_camera(self) -> None:
        rows = self.session.doc.cameras
        at = next((i for i, c in enumerate(rows) if c == self.stage.canvas.camera), -1)
        self.stage.canvas.look(rows[(at + 1) % len(rows)])

    # Files ---------------------------------------------------------------------------------------

    def ask_picture(self) -> str:
        """Ask for one picture."""
        path, _ = QFileDialog.getOpenFileName(self, "Choose a picture", self.session.folder, _PICTURES)
        return path

    def ask_add(self) -> None:
        """Ask for pictures and add each as an overlay."""
        paths, _ = QFileDialog.getOpenFileNames(self, "Add pictures", self.session.folder, _PICTURES)
        self.add_pictures(paths)

    def add_pictures(self, paths: list[str]) -> None:
        """Read pictures in the background and add each as an overlay; those that cannot be read are named."""
        if not paths:
            return

        def work(report, stopped):  # type: ignore[no-untyped-def]
            problems = []
            for path in paths:
                if stopped():
                    break
                try:
                    p = read_picture(path)
                    report(("add", path, p.width / p.height))
                except MivexError as e:
                    problems.append(str(e))
            return "  ".join(problems)

        self.jobs.ask(None, work)

    def _take_import(self, _token: object, part: tuple) -> None:
        if part[0] == "add":
            _, path, aspect = part
            made = ""

            def edit(d):  # type: ignore[no-untyped-def]
                nonlocal made
                name = Path(path).stem.replace("_", " ").strip() or "Overlay"
                doc, made = edits.add_overlay(d, name, guess_kind(path), path, aspect)
                return doc

            self.session.apply("Add overlay", edit)
            self.session.choose(made)
            self.go("source")
        elif part[0] == "open":
            self.session.take(part[1], part[2])
            self.stage.canvas.look(next(iter(self.session.doc.cameras), self.stage.canvas.camera))

    def dragEnterEvent(self, event: QDragEnterEvent) -> None:
        if event.mimeData().hasUrls():
            event.acceptProposedAction()

    def dropEvent(self, event: QDropEvent) -> None:
        paths = [u.toLocalFile() for u in event.mimeData().urls() if u.isLocalFile()]
        projects = [p for p in paths if p.lower().endswith(".mivex")]
        if projects:
            self.open(projects[0])
        else:
            self.add_pictures(paths)
        event.acceptProposedAction()

    def ask_unsaved(self) -> str:
        """Ask what becomes of unsaved work: ``save``, ``discard`` or ``keep`` working."""
        box = QMessageBox(self)
        box.setText(f"“{self.session.title.removesuffix(' •')}” has changes that are not saved.")
        save = box.addButton("Save", QMessageBox.ButtonRole.AcceptRole)
        lose = box.addButton("Discard", QMessageBox.ButtonRole.DestructiveRole)
        box.addButton("Keep working", QMessageBox.ButtonRole.RejectRole)
        box.setDefaultButton(save)
        box.exec()
        return "save" if box.clickedButton() is save else "discard" if box.clickedButton() is lose else "keep"

    def may_leave(self) -> bool:
        """Whether the open project may be left; asks if work is unsaved."""
        if self.session.saved:
            return True
        answer = self.ask_unsaved()
        return answer == "discard" or (answer == "save" and self.save())

    def new(self) -> None:
        """Start an empty project."""
        if self.may_leave():
            self.session.new()
            self.go("source")

    def ask_open(self) -> None:
        """Ask for a project and open it."""
        path, _ = QFileDialog.getOpenFileName(self, "Open a project", self.session.folder, "Mivex projects (*.mivex)")
        if path:
            self.open(path)

    def open(self, path: str) -> None:
        """Open a project, read in the background; if it cannot be read the present one stays."""
        if not self.may_leave():
            return

        def work(report, _stopped):  # type: ignore[no-untyped-def]
            report(("open", read_project(path), Path(path).resolve()))

        self.jobs.ask(None, work)

    def open_demo(self) -> None:
        """Open the demo project."""
        from mivex.demo import PROJECT

        self.open(str(PROJECT))

    def _fill_recent(self) -> None:
        self.recent.clear()
        rows = self.session.recent()
        for path in rows:
            self.recent.addAction(path, lambda p=path: self.open(p))
        if not rows:
            self.recent.addAction("None yet").setEnabled(False)

    def save(self) -> bool:
        """Save; asks for a name where there is none. False if it did not come to it."""
        return self._save(self.session.path) if self.session.path else self.save_as()

    def save_as(self) -> bool:
        """Ask for a name and save under it."""
        path, _ = QFileDialog.getSaveFileName(self, "Save the project", self.session.folder, "Mivex projects (*.mivex)")
        if not path:
            return False
        return self._save(Path(path if path.endswith(".mivex") else path + ".mivex"))

    def _save(self, path: Path) -> bool:
        try:
            self.session.save(path)
        except MivexError as e:
            self.tell(str(e))
            return False
        self.recovery.forget()
        self.tell(f"Saved as “{path}”.")
        return True

    def ask_recipe(self) -> None:
        """Ask for a recipe file and replace the overlay's steps by it."""
        path, _ = QFileDialog.getOpenFileName(self, "Use a recipe", self.session.folder, "Recipes (*.json)")
        if path and (o := self.session.overlay):
            try:
                steps = read_recipe(path).steps
            except MivexError as e:
                self.tell(str(e))
                return
            self.session.apply("Use a recipe", lambda d: edits.set_steps(d, o.id, steps))

    def ask_save_recipe(self) -> None:
        """Ask for a name and save the overlay's steps as a recipe."""
        if o := self.session.overlay:
            path, _ = QFileDialog.getSaveFileName(self, "Save the recipe", self.session.folder, "Recipes (*.json)")
            if path:
                path = path if path.endswith(".json") else path + ".json"
                try:
                    # A mask beside the project is named by its whole path, so that the recipe works anywhere.
                    save_recipe(path, tuple(
                        s.model_copy(update={"file": absolute(str(vars(s)["file"]), self.session.folder)})
                        if vars(s).get("file") else s for s in o.steps))
                    self.tell(f"The recipe was saved as “{path}”.")
                except MivexError as e:
                    self.tell(str(e))

    def ask_deliver(self, everything: bool) -> None:
        """Ask for a folder and deliver into it."""
        folder = QFileDialog.getExistingDirectory(self, "Deliver into", self.session.folder)
        if folder:
            self.deliver(folder, everything)

    def deliver(self, folder: str, everything: bool) -> None:
        """Write, read back and compare in the background."""
        doc, shop, chosen = self.session.doc, self.session.shop, self.session.overlay_id
        rows = [o for o in doc.overlays if o.source.path and (everything or o.id == chosen)]

        def work(_report, stopped):  # type: ignore[no-untyped-def]
            if not rows:
                raise MivexError("There is nothing to deliver yet.")
            check_names(rows)
            for o in rows:
                try:
                    deliver_overlay(o, shop.texture(o, stop=stopped), folder)
                except Stopped:
                    raise MivexError("Delivering was stopped; what was written before is whole.") from None
            count = f"“{rows[0].name}” was" if len(rows) == 1 else f"{len(rows)} overlays were"
            return f"{count} written to “{folder}”, read back and found the same, texel for texel."

        self.jobs.ask(None, work)
        self.tell(f"Delivering {len(rows)} overlay{'' if len(rows) == 1 else 's'} …")

    def closeEvent(self, event: QCloseEvent) -> None:
        if not self.may_leave():
            event.ignore()
            return
        self.recovery.forget()
        self.end()
        event.accept()

    def end(self) -> None:
        """Stop every thread."""
        self.recovery.end()
        self.engine.end()
        for worker in (self.jobs, self.flat.canvas.worker, self.stage.canvas.worker, self.rack._thumbs):
            worker.end()

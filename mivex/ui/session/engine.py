"""Carries the results' signals: what is due is computed in the background, and the window is told."""

import os
from pathlib import Path

from PySide6.QtCore import QFileSystemWatcher, QObject, QTimer, Signal

from mivex.core.base.errors import Stopped
from mivex.core.base.log import sentence
from mivex.core.base.messages import Message, joined
from mivex.core.evaluation.results import MESH, Results, examine_whole
from mivex.core.evaluation.targets import Result, Target
from mivex.core.findings import Finding
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay
from mivex.core.project.file import PathsOf, absolute
from mivex.core.scene.draw_calls import meshes_read
from mivex.core.scene.material_binding import file_key, picture_files_read
from mivex.core.scene.snapshot import SceneSnapshot
from mivex.ui.session.session import Session


def _readable(path: str) -> bool:
    """Whether a path can be watched: Qt complains of names that are too long, lead through a file, or may not be read."""
    try:
        return os.access(path, os.R_OK)
    except ValueError:  # letters that no file name may have
        return False


class Engine(QObject):
    """Keeps the results up to date with the document, and watches source files.

    Signals
    -------
    prepared(overlay id)
        A texture, or the reason why there is none, has changed; empty for a picture that materials read.
    examined()
        Findings have changed.
    notice(sentence)
        Something the artist should know.
    busy(on)
        Textures are being prepared, or no longer.
    progress(words)
        What is being done at the moment.
    inputs_ready()
        A texture asked for by `input_of` has been prepared.
    """

    prepared = Signal(str)
    examined = Signal()
    notice = Signal(object)  # a Message; as str it would lose its template
    busy = Signal(bool)
    progress = Signal(object)  # a Message; as str it would lose its template
    inputs_ready = Signal()

    def __init__(self, session: Session, parent: QObject | None = None) -> None:
        super().__init__(parent)
        self.session = session
        self.results = Results()
        self._prepare = session.workers.latest("prepare", self.notice.emit)
        self._examine = session.workers.latest("examine", self.notice.emit)
        self._aside = session.workers.latest("aside", self.notice.emit)
        self._asked: object = None
        self._prepare.reported.connect(self._take)
        self._aside.reported.connect(self._take_input)
        self._examine.reported.connect(self._take_findings)
        self._prepare.busy.connect(self.busy)
        self._prepare.said.connect(self.progress)
        self._watch = QFileSystemWatcher(self)
        self._paths_of = PathsOf()
        self._watched: set[str] = set()
        self._watch.fileChanged.connect(self._file_changed)
        self._settle = QTimer(self, singleShot=True, interval=250)
        self._settle.timeout.connect(self._reload)
        session.changed.connect(self.refresh)

    # Asking --------------------------------------------------------------------------------------

    def get(self, overlay_id: str) -> Result:
        """What is known of an overlay."""
        return self.results.get(overlay_id)

    def stage_textures(self) -> dict[str, Texture]:
        """What the stage draws with: textures by overlay id, and by `file_key` for pictures that materials read."""
        return {
            file_key(t.path, t.meaning) if t.path else t.overlay: x
            for t, x in self.results.textures().items()
            if t.finished
        }

    def snapshot(self, doc: Document | None = None) -> SceneSnapshot:
        """The scene as it is known at this moment; ``doc`` stands in for the document that is open."""
        return SceneSnapshot(doc or self.session.doc, self.stage_textures(), self.results.meshes())

    def input_of(self, overlay_id: str, until: int) -> Texture | None:
        """What the step at ``until`` receives; prepared in the background, `inputs_ready` tells when.

        While it is out of date the one before is given; None where there is none yet.
        """
        return self._want(Target(overlay_id, until)).texture

    def reference_of(self, o: Overlay) -> Texture | None:
        """The picture that is pinned beside an overlay, as soon as it is read."""
        if not o.reference:
            return None
        return self.get_target(Target(path=o.reference, meaning="colour")).texture

    def get_target(self, target: Target) -> Result:
        """What is known of any target."""
        return self.results.get(target)

    def view_of(self, overlay_id: str, look: str) -> Result:
        """A view into an overlay's layers, prepared like `input_of`."""
        return self._want(Target(overlay_id, look=look))

    def _want(self, target: Target) -> Result:
        found = self.results.want(target)
        todo = self.results.inputs_due()
        if todo and todo != self._asked:
            self._asked = todo
            doc, evaluator, results = self.session.doc, self.session.evaluator, self.results

            def work(report, stopped):  # type: ignore[no-untyped-def]
                for due, key in todo:
                    results.make(doc, evaluator, due, key, report, stopped, lambda _: None)

            self._aside.ask(None, work)
        return found

    def all_findings(self) -> list[Finding]:
        """Findings of every overlay, those that do most on screen first."""
        return self.results.all_findings()

    @property
    def reloading(self) -> bool:
        """A file has changed on disk and is about to be read again."""
        return self._settle.isActive()

    @property
    def idle(self) -> bool:
        """Everything is up to date."""
        return self._prepare.idle and self._examine.idle and self._aside.idle and not self.reloading

    def stop(self) -> None:
        """Give up what is being computed; the last finished result stays until the next edit."""
        self._prepare.halt()
        self._examine.halt()
        self.notice.emit("Stopped. What is shown is the last finished result; the next edit computes it again.")

    # Keeping up ----------------------------------------------------------------------------------

    def refresh(self) -> None:
        """Ask for whatever the document needs and is not there yet."""
        doc = self.session.doc
        pictures = dict.fromkeys(
            [*picture_files_read(doc), *((o.reference, "colour") for o in doc.overlays if o.reference)]
        )
        files = tuple(Target(path=p, meaning=m) for p, m in pictures)
        files += tuple(Target(path=p, meaning=MESH) for p in meshes_read(doc))
        for lost in self.results.follow(doc, self.session.folder, files):
            self.prepared.emit(lost)
        self.session.refresher.ask(self._watch_sources)
        todo = self.results.due(self.session.overlay_id)
        if todo:
            evaluator, results = self.session.evaluator, self.results

            def work(report, stopped):  # type: ignore[no-untyped-def]
                for target, key in todo:
                    results.make(doc, evaluator, target, key, report, stopped, self._prepare.tell)

            self._prepare.ask(None, work, halt=True)
        self.session.refresher.ask(self._examine_all)

    def _take(self, _token: object, result: Result) -> None:
        if not self.results.take(result):
            return
        if result.target.path and result.problem:
            self.notice.emit(result.problem)
        if result.mesh is not None and result.mesh.notes:
            self.notice.emit(
                Message("“{name}”: {parts}", name=Path(result.target.path).name, parts=joined(" ", result.mesh.notes))
            )
        self.prepared.emit(result.target.overlay)
        if result.target.overlay or result.mesh is not None:
            if result.texture is None:
                self.examined.emit()
            self.session.refresher.ask(self._examine_all)

    def _take_input(self, _token: object, result: Result) -> None:
        # What fails here is said where the overlay itself is prepared.
        if self.results.take(result):
            self.inputs_ready.emit()

    def _examine_all(self) -> None:
        todo = self.results.unexamined(self.session.overlay_id)
        scene = self.results.scene_unexamined()
        if todo or scene is not None:
            evaluator, results, doc = self.session.evaluator, self.results, self.session.doc
            textures, meshes = self.stage_textures(), results.meshes()

            def work(report, stopped):  # type: ignore[no-untyped-def]
                for overlay, result, key in todo:
                    if stopped():
                        return
                    try:
                        report(results.examine(evaluator, overlay, result, key))
                    except Stopped:
                        raise
                    except Exception as e:
                        self._examine.complain(sentence(e, f"examining {overlay.name!r}"))
                if scene is not None:
                    report(examine_whole(doc, textures, meshes, scene, stopped))

            self._examine.ask(None, work, halt=True)

    def _take_findings(self, _token: object, result: Result) -> None:
        if self.results.take_findings(result):
            self.examined.emit()

    # Files ---------------------------------------------------------------------------------------

    def _watch_sources(self) -> None:
        wanted = {absolute(path, self.session.folder) for path in self._paths_of(self.session.doc)}
        if wanted == self._watched:
            return
        have = set(self._watch.files())
        if have - wanted:
            self._watch.removePaths(sorted(have - wanted))
        if new := sorted(filter(_readable, wanted - have)):
            self._watch.addPaths(new)
        self._watched = wanted if wanted == set(self._watch.files()) else set()

    def _file_changed(self, path: str) -> None:
        self._changed_name = Path(path).name
        self._settle.start()

    def _reload(self) -> None:
        self.results.read_again()
        self.notice.emit(Message("“{changed_name}” changed on disk; it was read again.", changed_name=self._changed_name))
        self.refresh()

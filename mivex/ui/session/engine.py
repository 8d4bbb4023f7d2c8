"""Keeps textures and findings up to date with the document, in the background."""

import contextlib
import time
from pathlib import Path
from typing import Any

from PySide6.QtCore import QFileSystemWatcher, QObject, QTimer, Signal

from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.log import sentence
from mivex.core.findings import Finding, Subject, examine
from mivex.core.findings.facts import Facts, facts_of
from mivex.core.picture.picture import Picture, guess_meaning
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import PROXY_SIDE, Workshop
from mivex.core.proof.histogram import histogram
from mivex.ui.session.session import Session
from mivex.ui.session.worker import Latest


class Engine(QObject):
    """Prepares textures, examines them, watches source files.

    Signals
    -------
    prepared(overlay id)
        A texture, or the reason why there is none, has changed.
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
    notice = Signal(str)
    busy = Signal(bool)
    progress = Signal(str)
    inputs_ready = Signal()

    def __init__(self, session: Session, parent: QObject | None = None) -> None:
        super().__init__(parent)
        self.session = session
        self.textures: dict[str, Texture] = {}
        self.befores: dict[str, Texture] = {}
        self.pictures: dict[str, Picture] = {}
        self.meanings: dict[str, tuple[str, str]] = {}
        self.problems: dict[str, str] = {}
        self.findings: dict[str, list[Finding]] = {}
        self.facts: dict[str, Facts] = {}
        self._inputs: dict[tuple[str, int], tuple[object, Texture]] = {}
        self._asked: dict[tuple[str, int], object] = {}
        self._keys: dict[str, object] = {}
        self._examined: dict[str, object] = {}
        self._generation = 0
        self._prepare = Latest("prepare", self)
        self._examine = Latest("examine", self)
        self._aside = Latest("aside", self)
        self._aside.reported.connect(self._take_input)
        self._prepare.reported.connect(self._take_texture)
        self._prepare.failed.connect(lambda _t, why: self.notice.emit(why))
        self._examine.reported.connect(self._take_findings)
        self._examine.failed.connect(lambda _t, why: self.notice.emit(why))
        self._prepare.busy.connect(self.busy)
        self._prepare.said.connect(self.progress)
        self._watch = QFileSystemWatcher(self)
        self._watch.fileChanged.connect(self._file_changed)
        self._settle = QTimer(self, singleShot=True, interval=250)
        self._settle.timeout.connect(self._reload)
        session.changed.connect(self.refresh)

    @property
    def idle(self) -> bool:
        """Everything is up to date."""
        return self._prepare.idle and self._examine.idle and self._aside.idle and not self._settle.isActive()

    def end(self) -> None:
        """Stop the threads."""
        for worker in (self._prepare, self._examine, self._aside):
            worker.end()

    def stop(self) -> None:
        """Give up what is being computed; the last finished result stays until the next edit."""
        self._prepare.halt()
        self._examine.halt()
        self.notice.emit("Stopped. What is shown is the last finished result; the next edit computes it again.")

    def _key(self, o: Overlay) -> object:
        return o.source, o.steps, o.delivery.bits, o.delivery.format, self.session.folder, self._generation

    def refresh(self) -> None:
        """Ask for whatever the document needs and is not there yet."""
        doc = self.session.doc
        ids = {o.id for o in doc.overlays}
        tables: tuple[dict[str, Any], ...] = (self.textures, self.befores, self.pictures, self.problems, self.findings,
                                              self._keys, self._examined, self.meanings, self.facts)
        for table in tables:
            for gone in set(table) - ids:
                table.pop(gone)
        self._watch_sources()
        for o in doc.overlays:
            if not o.source.ready and (o.id in self.textures or o.id not in self.problems):
                self.textures.pop(o.id, None)
                self.problems[o.id] = ""
                self.prepared.emit(o.id)
        todo = [(o, self._key(o)) for o in doc.overlays if o.source.ready and self._keys.get(o.id) != self._key(o)]
        todo.sort(key=lambda t: t[0].id != self.session.overlay_id)
        if todo:
            shop = self.session.shop

            def work(report, stopped):  # type: ignore[no-untyped-def]
                for o, key in todo:
                    try:
                        picture = shop.start_of(o)
                        seen = guess_meaning(picture)
                        if max(picture.width, picture.height) > PROXY_SIDE:
                            proxy = shop.texture(o, proxy=True)
                            _ = proxy.mips, histogram(proxy)
                            report((o.id, None, picture, seen, proxy, shop.texture(o, proxy=True, until=0), ""))
                            # Let the proofs draw it before full size takes the cores; a slider in motion ends it here.
                            for _ in range(5):
                                if stopped():
                                    raise Stopped
                                time.sleep(0.012)
                        full = shop.texture(o, stop=stopped, tell=lambda step, n=o.name: self._prepare.tell(
                            f"“{n}”: {step}"))
                        before = shop.texture(o, until=0, stop=stopped)
                        _ = full.mips, before.mips, histogram(full)
                        report((o.id, key, picture, seen, full, before, ""))
                    except Stopped:
                        raise
                    except BaseException as e:
                        # That overlay's problem only: the others go on being prepared.
                        report((o.id, key, None, None, None, None, sentence(e, f"preparing {o.name!r}")))

            self._prepare.ask(None, work, halt=True)
        self._examine_all()

    def _take_texture(self, _token: object, part: tuple) -> None:
        overlay_id, key, picture, meaning, texture, before, problem = part
        o = self.session.doc.overlay(overlay_id)
        if o is None:
            return
        if key is not None and key == self._key(o):
            self._keys[overlay_id] = key
        if texture is None:
            self.textures.pop(overlay_id, None)
            self.pictures.pop(overlay_id, None)
        else:
            self.textures[overlay_id] = texture
            self.befores[overlay_id] = before
            self.pictures[overlay_id] = picture
            self.meanings[overlay_id] = meaning
        self.problems[overlay_id] = problem
        self.prepared.emit(overlay_id)
        self._examine_all()

    def _examine_all(self) -> None:
        todo = []
        for o in self.session.doc.overlays:
            t = self.textures.get(o.id)
            if t is None or t.scale < 1:
                if o.id not in self.textures and self.findings.pop(o.id, []):
                    self._examined.pop(o.id, None)
                    self.examined.emit()
                continue
            key = (t.key, o.name, o.material, o.delivery)
            if self._examined.get(o.id) != key:
                todo.append((key, Subject.of(o, t)))
        if todo:
            todo.sort(key=lambda t: t[1].overlay != self.session.overlay_id)
            shop, doc = self.session.shop, self.session.doc

            def work(report, stopped):  # type: ignore[no-untyped-def]
                for key, subject in todo:
                    if stopped():
                        return
                    try:
                        plain = self._before_distance(shop, doc, subject) if subject.texture.spread > 0 else None
                        report((key, subject.overlay, examine(subject), facts_of(subject, plain)))
                    except Exception as e:
                        self._examine.complain(sentence(e, f"examining {subject.name!r}"))

            self._examine.ask(None, work, halt=True)

    def _take_findings(self, _token: object, part: tuple) -> None:
        key, overlay_id, found, facts = part
        if self.session.doc.overlay(overlay_id) is not None:
            self._examined[overlay_id] = key
            self.findings[overlay_id] = found
            self.facts[overlay_id] = facts
            self.examined.emit()

    @staticmethod
    def _before_distance(shop: Workshop, doc: Document, subject: Subject) -> Texture | None:
        o = doc.overlay(subject.overlay)
        if o is None:
            return None
        at = max((i for i, s in enumerate(o.steps) if s.on and s.step == "signed-distance"), default=-1)
        return shop.texture(o, until=at) if at >= 0 else None

    def input_of(self, overlay_id: str, until: int) -> Texture | None:
        """What the step at ``until`` receives; prepared in the background, `inputs_ready` tells when.

        While it is out of date the one before is given; None where there is none yet.
        """
        o = self.session.doc.overlay(overlay_id)
        if o is None or not o.source.ready:
            return None
        key = (overlay_id, until)
        mark = (o.source, o.steps[:until], o.delivery.bits, self.session.folder, self._generation)
        have = self._inputs.get(key)
        if have is not None and have[0] == mark:
            return have[1]
        if self._asked.get(key) != mark:
            self._asked[key] = mark
            shop = self.session.shop
            wanted = {k: m for k, m in self._asked.items() if (self._inputs.get(k) or (None,))[0] != m}
            doc = self.session.doc

            def work(report, stopped):  # type: ignore[no-untyped-def]
                for (name, index), m in wanted.items():
                    overlay = doc.overlay(name)
                    if overlay is None:
                        continue
                    # What fails here is said where the overlay itself is prepared.
                    with contextlib.suppress(MivexError):
                        t = shop.texture(overlay, until=index, stop=stopped)
                        _ = histogram(t), t.mips
                        report((name, index, m, t))

            self._aside.ask(None, work)
        return have[1] if have is not None else None

    def _take_input(self, _token: object, part: tuple) -> None:
        overlay_id, index, mark, texture = part
        self._inputs[(overlay_id, index)] = (mark, texture)
        if len(self._inputs) > 12:
            gone = next(iter(self._inputs))
            self._inputs.pop(gone)
            self._asked.pop(gone, None)  # wanted again, it is prepared again
        self.inputs_ready.emit()

    def all_findings(self) -> list[Finding]:
        """Findings of every overlay, those that do most on screen first."""
        rows = [f for o in self.session.doc.overlays for f in self.findings.get(o.id, [])]
        return sorted(rows, key=lambda f: -f.weight)

    def _watch_sources(self) -> None:
        wanted, have = set(self.session.sources()), set(self._watch.files())
        if have - wanted:
            self._watch.removePaths(sorted(have - wanted))
        if wanted - have:
            self._watch.addPaths(sorted(wanted - have))

    def _file_changed(self, path: str) -> None:
        self._changed_name = Path(path).name
        self._settle.start()

    def _reload(self) -> None:
        self._generation += 1
        self.notice.emit(f"“{self._changed_name}” changed on disk; it was read again.")
        self.refresh()

"""A folder that is watched: what has changed there, once nobody writes it any more; and what is then done with it."""

import queue
import time
from collections.abc import Iterator
from pathlib import Path
from types import TracebackType
from typing import Any

from mivex.core.base.errors import MivexError
from mivex.core.base.log import sentence
from mivex.core.base.messages import Message
from mivex.core.base.paths import shown
from mivex.core.checking.batch import Report, report_on
from mivex.core.checking.limit_rules import Limits, counts, judged
from mivex.core.picture.formats import READABLE
from mivex.core.project.delivery import DeliveryRecipe, recipe_named
from mivex.core.project.document import Document
from mivex.core.project.edits import add_overlay
from mivex.core.project.file import absolute, paths_of, read_project
from mivex.core.stage.meshes import READABLE_MESHES, files_of

SETTLES = 0.5
"""Seconds without a word of a file after which it counts as written."""
PROJECT = ".mivex"


CHECKED = (*READABLE, PROJECT)
"""What is checked itself."""
READ_BY_PROJECTS = (*READABLE_MESHES, ".bin")
"""What is only of interest for the projects that read it."""


def _meant(path: Path, kinds: tuple[str, ...]) -> bool:
    """Whether a path is of those kinds, and no half-written copy."""
    return path.suffix.lower() in kinds and not path.name.startswith(".") and not path.name.endswith("~")


class FolderWatch:
    """Tells what has changed in a folder and the folders in it.

    Parameters
    ----------
    folder : Path
    avoid : Path, optional
        A folder in it that is left out: where results are written.

    Raises
    ------
    MivexError
        It is no folder, or cannot be watched.
    """

    def __init__(self, folder: Path, avoid: Path | None = None) -> None:
        self.folder, self.avoid = folder.resolve(), avoid.resolve() if avoid is not None else None
        if not self.folder.is_dir():
            raise MivexError(Message("“{folder}” is no folder.", folder=shown(str(folder))))
        self._told: queue.SimpleQueue[str] = queue.SimpleQueue()
        self._waiting: dict[Path, float] = {}
        self._observer: Any = None

    def __enter__(self) -> "FolderWatch":
        from watchdog.events import FileSystemEvent, FileSystemEventHandler
        from watchdog.observers import Observer
        from watchdog.observers.polling import PollingObserver

        told = self._told

        class Handler(FileSystemEventHandler):
            def on_any_event(self, event: FileSystemEvent) -> None:
                # Reading a file is no change of it.
                if not event.is_directory and event.event_type in ("created", "modified", "moved", "closed"):
                    told.put(str(event.dest_path or event.src_path))

        # Where the system's watches are used up, or a share has none, the folder is looked through again and again.
        for make in (Observer, PollingObserver):
            observer = make()
            observer.schedule(Handler(), str(self.folder), recursive=True)
            try:
                observer.start()
            except OSError:
                continue
            self._observer = observer
            return self
        raise MivexError(Message("“{folder}” cannot be watched.", folder=shown(str(self.folder))))

    def __exit__(self, kind: type[BaseException] | None, error: BaseException | None, trace: TracebackType | None) -> None:
        self._observer.stop()
        self._observer.join(5)

    def _mine(self, path: Path, kinds: tuple[str, ...]) -> bool:
        return _meant(path, kinds) and not (self.avoid is not None and path.is_relative_to(self.avoid))

    def name_of(self, path: Path) -> Path:
        """A path in the folder without its ending: a name for what comes of it."""
        return path.resolve().relative_to(self.folder).with_suffix("")

    def there(self) -> list[Path]:
        """Everything that lies in the folder now, in the order of the paths."""
        return sorted(p for p in self.folder.rglob("*") if p.is_file() and self._mine(p, CHECKED))

    def changed(self, seconds: float) -> list[Path]:
        """What has changed and been written to its end, within so many seconds; none: nothing has."""
        end = time.monotonic() + seconds
        while True:
            now = time.monotonic()
            ready = sorted(p for p, at in self._waiting.items() if now - at >= SETTLES)
            if ready:
                for p in ready:
                    del self._waiting[p]
                if there := [p for p in ready if p.is_file()]:
                    return there
            if now >= end:
                return []
            due = min([end, *(at + SETTLES for at in self._waiting.values())])
            try:
                path = Path(self._told.get(timeout=max(due - now, 0.005))).resolve()
            except queue.Empty:
                continue
            if self._mine(path, CHECKED + READ_BY_PROJECTS):
                self._waiting[path] = time.monotonic()


def affected(changed: list[Path], projects: list[Path]) -> list[Path]:
    """The pictures and projects that changed, and the projects that read what changed; each once, pictures first."""
    pictures = [p for p in changed if p.suffix.lower() in READABLE]
    read: dict[Path, None] = {p: None for p in changed if p.suffix.lower() == PROJECT}
    for project in projects:
        try:
            names = paths_of(read_project(project))
        except MivexError:
            continue  # said when it is examined itself
        if {f.resolve() for p in names if p for f in files_of(absolute(p, project.parent))} & set(changed):
            read[project] = None
    return [*pictures, *sorted(read)]


def handled(
    path: Path, limits: Limits | None = None, out: Path | None = None, recipe: str | DeliveryRecipe = ""
) -> tuple[Report, list[str]]:
    """Check a picture or a project, and deliver it where that is wished for.

    Parameters
    ----------
    path : Path
    limits : Limits, optional
    out : Path, optional
        The folder that it is delivered into; none: it is not.
    recipe : str or DeliveryRecipe
        For all that is delivered; empty: each overlay's own.

    Returns
    -------
    (Report, list of str)
        What was found, and the names of the pictures that were delivered. What goes wrong is the report's problem.
    """
    report = report_on(str(path))
    if limits is not None:
        (report,) = judged([report], limits)
    if out is None or report.problem:
        return report, []
    from mivex.core.deliver.project import deliver_project
    from mivex.core.project.evaluate import Evaluator

    try:
        if path.suffix.lower() == PROJECT:
            doc = read_project(path)
        else:
            doc, _ = add_overlay(Document(), path.stem, "sprite", str(path))
        chosen = recipe_named(recipe, doc.deliveries) if isinstance(recipe, str) and recipe else recipe or None
        done = deliver_project(doc, Evaluator(path.parent), out, recipe=chosen)  # type: ignore[arg-type]
    except Exception as e:
        report.problem = sentence(e, f"delivering {str(path)!r}")
        return report, []
    return report, [f.name for d in done.overlays for f in d.files]


def said(report: Report, delivered: list[str]) -> Message:
    """One line: what came of a file."""
    name = Path(report.path).name
    if report.problem:
        return Message("{name}: problem: {problem}", name=name, problem=report.problem)
    found = list(dict.fromkeys(f["id"] for f in report.findings if counts(f)))
    words = (
        Message("{name}: {ids}", name=name, ids=", ".join(found)) if found else Message("{name}: no findings", name=name)
    )
    return words + (Message("; {count} files delivered", count=len(delivered)) if delivered else "")


def watched(watch: FolderWatch, seconds: float, *, everything: bool = False) -> Iterator[Path]:
    """Files to be handled, one after the other, for so many seconds; first all that is there, where that is wished for."""
    end = time.monotonic() + seconds
    if everything:
        yield from watch.there()
    while (left := end - time.monotonic()) > 0:
        found = watch.changed(min(left, 3600.0))
        yield from affected(found, [p for p in watch.there() if p.suffix.lower() == PROJECT]) if found else ()

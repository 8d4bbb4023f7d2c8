"""Not losing work: who has a project open, and unsaved work kept aside for after a crash.

Everything lies in the user's state folder, so that nothing is added beside the
artist's own files. A lock is held by a running process and ends with it, however
it ends.
"""

import contextlib
import hashlib
import json
import os
import threading
import uuid
from dataclasses import dataclass
from pathlib import Path

from mivex.core.base.errors import MivexError
from mivex.core.base.log import state_folder
from mivex.core.base.messages import InSentence, Message
from mivex.core.base.paths import read_bytes
from mivex.core.base.store import Batch, encoded
from mivex.core.project.document import Document
from mivex.core.project.file import Stamp, loads


class Lock:
    """Held by one process at a time.

    Parameters
    ----------
    path : Path
        A file made for this purpose.
    """

    def __init__(self, path: Path) -> None:
        path.parent.mkdir(parents=True, exist_ok=True)
        from filelock import FileLock

        self._lock = FileLock(path, thread_local=False)

    def take(self) -> bool:
        """Try to hold it; false where another window does."""
        try:
            self._lock.acquire(timeout=0)
        except OSError:  # another's, or a folder that cannot be written: filelock's Timeout is one, too
            return False
        return True

    def free(self) -> None:
        """Give the project's lock back."""
        with contextlib.suppress(OSError):
            self._lock.release()


def project_lock(path: str | Path) -> Lock:
    """The lock of a project file, wherever it lies."""
    name = hashlib.blake2b(os.path.realpath(path).encode("utf-8", "surrogateescape"), digest_size=12).hexdigest()
    return Lock(state_folder() / "locks" / f"{name}.lock")


@dataclass(frozen=True)
class Kept:
    """Unsaved work that a window left when it did not close properly.

    Attributes
    ----------
    file : Path
        Where it is kept.
    doc : Document
    path : str
        Of the project; empty for one that was never saved.
    folder : str
        What picture paths are relative to.
    stamp : Stamp
        Of the project's file when it was opened.
    """

    file: Path
    doc: Document
    path: str
    folder: str
    stamp: Stamp


def unsaved_folder() -> Path:
    """Where unsaved work is kept."""
    return state_folder() / "unsaved"


class Keeper:
    """Keeps one window's unsaved work aside, in a file of its own."""

    def __init__(self) -> None:
        self.file = unsaved_folder() / f"{uuid.uuid4().hex[:12]}.json"
        self._lock = Lock(self.file.with_suffix(".lock"))
        self._lock.take()
        self._turn = 0
        self._placing = threading.Lock()

    @property
    def turn(self) -> int:
        """Counts how often work was forgotten; `keep` is told the count of the moment at which it was asked for."""
        return self._turn

    def keep(self, doc: Document, path: str, folder: str, stamp: Stamp, turn: int | None = None) -> None:
        """Write work aside, unless it was forgotten since `turn`; raises MivexError."""
        try:
            self.file.parent.mkdir(parents=True, exist_ok=True)
        except OSError as e:
            raise MivexError(
                Message(
                    "The folder for unsaved work cannot be made: {strerror}.", strerror=InSentence(e.strerror or str(e))
                )
            ) from None
        text = json.dumps({"folder": folder, "path": path, "stamp": stamp.content, "project": doc.model_dump(mode="json")})
        with Batch() as batch:
            batch.stage(self.file, encoded(text, self.file))
            # The window may have saved or closed while this was being written: then it must not come to lie there.
            with self._placing:
                if turn is None or turn == self._turn:
                    batch.commit()

    def adopt(self, kept: Kept) -> None:
        """Take over what another window left: it is this window's to keep from now on."""
        with contextlib.suppress(OSError):
            os.replace(kept.file, self.file)
            kept.file.with_suffix(".lock").unlink(missing_ok=True)

    def forget(self) -> None:
        """The work is saved, or was given up; what is being written at this moment is dropped."""
        with self._placing, contextlib.suppress(OSError):
            self._turn += 1
            self.file.unlink(missing_ok=True)

    def end(self) -> None:
        """The window closes; what is kept stays."""
        self._lock.free()
        if not self.file.exists():
            with contextlib.suppress(OSError):
                self.file.with_suffix(".lock").unlink(missing_ok=True)


def left_behind(project: str = "") -> list[Kept]:
    """Work left by windows that are gone, newest first.

    Parameters
    ----------
    project : str
        Only that of this project file; empty: all.
    """
    rows: list[tuple[float, Kept]] = []
    wanted = os.path.realpath(project) if project else ""
    with contextlib.suppress(OSError):
        for file in unsaved_folder().glob("*.json"):
            lock = Lock(file.with_suffix(".lock"))
            if not lock.take():
                continue  # its window is alive
            try:
                kept = json.loads(read_bytes(file))
                path = str(kept["path"])
                if not wanted or (path and os.path.realpath(path) == wanted):
                    rows.append(
                        (
                            file.stat().st_mtime,
                            Kept(
                                file,
                                loads(kept["project"], "The work kept aside"),
                                path,
                                str(kept["folder"]),
                                Stamp(str(kept.get("stamp", ""))),
                            ),
                        )
                    )
            except (OSError, ValueError, KeyError, TypeError, MivexError):
                continue
            finally:
                lock.free()
    return [k for _, k in sorted(rows, key=lambda r: -r[0])]


def give_up(kept: Kept) -> None:
    """Throw kept work away."""
    with contextlib.suppress(OSError):
        kept.file.unlink(missing_ok=True)
        kept.file.with_suffix(".lock").unlink(missing_ok=True)

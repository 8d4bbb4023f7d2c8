"""Files on disk: the one place that looks at them before reading, and replaces them safely.

A file is written to a name beside its own, flushed, forced to disk, read back
and compared, and only then renamed over the old one. Whatever goes wrong
before that, a full disk above all, the old file is as it was.
"""

import contextlib
import fcntl
import hashlib
import json
import os
import time
from collections.abc import Callable, Iterable
from pathlib import Path
from types import TracebackType

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, term
from mivex.core.base.paths import check_path, reason, shown
from mivex.core.base.raw_files import PREFIX, claim_name, holds, mode_of, read_all, set_aside, sync_folder, write_all

NAME_BYTES = 255
"""Longest name that Linux file systems take."""


def sweep(folder: str | Path) -> int:
    """Clear unfinished files that killed runs left in a folder; returns how many.

    One that is still being written is locked by its writer and stays.
    """
    gone = 0
    with contextlib.suppress(OSError):
        for entry in os.scandir(folder):
            if not entry.name.startswith(PREFIX) or entry.name == JOURNAL or not entry.is_file(follow_symlinks=False):
                continue
            with contextlib.suppress(OSError):
                handle = os.open(entry.path, os.O_RDWR | os.O_NOFOLLOW | os.O_CLOEXEC)
                try:
                    fcntl.flock(handle, fcntl.LOCK_EX | fcntl.LOCK_NB)
                    os.unlink(entry.path)
                    gone += 1
                finally:
                    os.close(handle)
    return gone


_protected: set[str] = set()


def protect(paths: Iterable[str | Path]) -> None:
    """From now on no file of these is written over by this process: the project that it works on is made of them.

    For the command line, where a process has one project; a window says it batch by batch.
    """
    _protected.update(os.path.realpath(p) for p in paths)


def unprotect() -> None:
    """Another project's turn: nothing is protected any more."""
    _protected.clear()


JOURNAL = f"{PREFIX}journal"
"""Beside files that are put in place together: which temporary file becomes which. Who finds one finishes the work."""


def finish(folder: str | Path, patience: float = 10.0) -> bool:
    """Finish putting files in place where a run was killed while it did so; true where there was something to finish.

    Everything had been written, forced to disk and read back before the journal was: what is left are renames. While the
    writer is alive it is waited for, up to ``patience`` seconds.

    Raises
    ------
    MivexError
        It cannot be finished: the folder cannot be written, or its writer goes on for longer.
    """
    path = Path(folder) / JOURNAL
    end = time.monotonic() + patience
    while True:
        try:
            handle = os.open(path, os.O_RDWR | os.O_NOFOLLOW | os.O_CLOEXEC)
        except FileNotFoundError:
            return False
        except OSError as e:
            raise MivexError(
                Message("“{folder}” is half written, and cannot be finished: {e}.", folder=folder, e=term(reason(e)))
            ) from None
        try:
            fcntl.flock(handle, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except OSError:
            os.close(handle)
            if time.monotonic() > end:
                raise MivexError(Message("“{folder}” is being written at this moment; try again.", folder=folder)) from None
            time.sleep(0.02)
            continue
        try:
            if os.fstat(handle).st_nlink == 0:
                return False  # its writer has just come to the end
            for beside, name in json.loads(read_all(handle, os.fstat(handle).st_size)):
                if Path(beside).name == beside and Path(name).name == name and beside.startswith(PREFIX):
                    with contextlib.suppress(FileNotFoundError):
                        os.replace(path.with_name(beside), path.with_name(name))
                    path.with_name(f"{beside}.old").unlink(missing_ok=True)
            os.unlink(path)
            return True
        except OSError as e:
            raise MivexError(
                Message("“{folder}” is half written, and cannot be finished: {e}.", folder=folder, e=term(reason(e)))
            ) from None
        except (ValueError, TypeError):
            # Killed while the journal itself was written: nothing had been renamed yet.
            with contextlib.suppress(OSError):
                os.unlink(path)
            return False
        finally:
            os.close(handle)


def check_target(path: str | Path) -> None:
    """Say at once, before anything is computed, why a file could not be written there.

    Parameters
    ----------
    path : str or Path

    Raises
    ------
    MivexError
        Its folder is missing or may not be written, something that is no file has its name, or the project is made of it.
    """
    path = check_path(path)
    real = Path(os.path.realpath(path))
    if str(real) in _protected:
        raise _written_over(path)
    try:
        mode_of(real)
        if not real.parent.is_dir():
            raise FileNotFoundError(2, os.strerror(2))
        if not os.access(real.parent, os.W_OK | os.X_OK):
            raise PermissionError(13, os.strerror(13))
    except OSError as e:
        raise MivexError(Message("“{path}” cannot be written: {e}.", path=shown(path), e=term(reason(e)))) from None


def check_folder(folder: str | Path) -> None:
    """The same for a folder that files shall be put in, and that is made if it is missing; raises MivexError."""
    there = Path(os.path.realpath(check_path(folder)))
    while not there.exists() and there != there.parent:
        there = there.parent
    if not there.is_dir():
        raise MivexError(Message("“{there}” is a file; what is written goes into a folder.", there=shown(there)))
    if not os.access(there, os.W_OK | os.X_OK):
        raise MivexError(Message("“{folder}” cannot be written: permission is denied.", folder=shown(folder)))


def _written_over(path: Path) -> MivexError:
    return MivexError(
        Message(
            "“{name}” would be written over a file that the project is made of; choose another name or folder.",
            name=shown(path.name),
        )
    )


class Batch:
    """Files that are put in place together, after every one of them has been written and read back.

    Use as a context: what was staged and not committed leaves no trace. A run that is killed while several files are being
    renamed leaves a journal, by which the next one that reads or writes there finishes it (`finish`).

    Parameters
    ----------
    follow : bool
        A link where a file shall be is followed; otherwise it is refused.
    avoid : frozenset of Path
        Resolved paths that are never written over.
    """

    def __init__(self, *, follow: bool = True, avoid: frozenset[Path] = frozenset()) -> None:
        self._rows: list[tuple[Path, Path, int]] = []
        self._swept: set[Path] = set()
        self._follow, self._avoid = follow, avoid
        self.digests: dict[str, str] = {}
        """Hash of every staged file's bytes, by its name, those that were left alone too."""

    def __enter__(self) -> "Batch":
        return self

    def __exit__(self, kind: type[BaseException] | None, error: BaseException | None, trace: TracebackType | None) -> None:
        for beside, _, handle in self._rows:
            beside.unlink(missing_ok=True)
            os.close(handle)
        self._rows.clear()

    def stage(self, path: str | Path, data: bytes, verify: Callable[[Path], None] | None = None) -> bool:
        """Write a file beside its place, force it to disk, read it back and compare.

        A file that holds exactly these bytes is left alone, time of change and all; then it gives false.

        Parameters
        ----------
        path : str or Path
            Where it shall be; a link is followed.
        data : bytes
        verify : callable, optional
            Given the unfinished file, which has the same ending; raises MivexError if it does not hold
            what was meant.

        Raises
        ------
        MivexError
            The folder is missing or not writable, the disk is full, the name is impossible, or something
            other than a file is in the way. Files staged before stay staged.
        """
        path = check_path(path)
        if not self._follow and path.is_symlink():
            raise MivexError(
                Message("“{name}” is a link; Mivex does not write through it into another place.", name=shown(path.name))
            )
        path = Path(os.path.realpath(path))
        if str(path) in _protected or path in self._avoid:
            raise _written_over(path)
        self.digests[path.name] = hashlib.blake2b(data, digest_size=16).hexdigest()
        try:
            mode = mode_of(path)
            if holds(path, data):
                if verify is not None:
                    verify(path)
                return False
            if path.parent not in self._swept:
                finish(path.parent)
                sweep(path.parent)
                self._swept.add(path.parent)
            handle, beside = claim_name(path)
            self._rows.append((beside, path, handle))
            os.fchmod(handle, mode)
            write_all(handle, data)
            if read_all(handle, len(data)) != data:
                raise MivexError(
                    Message(
                        "“{path}” was written, but reading it back gave something else; the old file, if "
                        "there was one, is untouched.",
                        path=path,
                    )
                )
        except OSError as e:
            raise MivexError(Message("“{path}” cannot be written: {e}.", path=shown(path), e=term(reason(e)))) from None
        if verify is not None:
            verify(beside)
        return True

    def commit(self) -> None:
        """Rename everything into place, in the order of staging; raises MivexError."""
        folders = {path.parent for _, path, _ in self._rows}
        journals: list[tuple[Path, int]] = []
        try:
            for f in folders:
                if sum(path.parent == f for _, path, _ in self._rows) > 1:
                    journals.append(self._journal(f))
            self._rename()
            for folder in folders:
                sync_folder(folder)
        finally:
            # Also where a rename was refused: what is not in place by now will not be.
            for path, handle in journals:
                path.unlink(missing_ok=True)
                os.close(handle)

    def _rename(self) -> None:
        """Rename every row; where one is refused, those before it are taken back."""
        undo: list[tuple[Path, Path | None]] = []
        aside: list[Path] = []
        single = len(self._rows) == 1
        try:
            while self._rows:
                beside, path, handle = self._rows[0]
                try:
                    old = None if single else set_aside(path, beside)
                    if old is not None:
                        aside.append(old)
                    os.replace(beside, path)
                except OSError as e:
                    raise MivexError(
                        Message(
                            "“{path}” cannot be replaced: {e}; nothing was changed.", path=shown(path), e=term(reason(e))
                        )
                    ) from None
                undo.append((path, old))
                self._rows.pop(0)
                os.close(handle)
        except BaseException:
            for path, old in reversed(undo):
                with contextlib.suppress(OSError):
                    path.unlink() if old is None else os.replace(old, path)
            raise
        finally:
            for old in aside:
                with contextlib.suppress(OSError):
                    old.unlink(missing_ok=True)

    def _journal(self, folder: Path) -> tuple[Path, int]:
        """Write down, and force to disk, what is about to be renamed in a folder; held locked until it is done."""
        path = folder / JOURNAL
        rows = [(beside.name, there.name) for beside, there, _ in self._rows if there.parent == folder]
        try:
            while True:
                try:
                    handle = os.open(path, os.O_RDWR | os.O_CREAT | os.O_EXCL | os.O_NOFOLLOW | os.O_CLOEXEC, 0o600)
                    break
                except FileExistsError:
                    finish(folder)  # another writer's, alive or killed
            with contextlib.suppress(OSError):
                fcntl.flock(handle, fcntl.LOCK_EX)
            write_all(handle, json.dumps(rows).encode())
        except OSError as e:
            raise MivexError(Message("“{folder}” cannot be written: {e}.", folder=folder, e=term(reason(e)))) from None
        sync_folder(folder)
        return path, handle


def write_bytes(path: str | Path, data: bytes, verify: Callable[[Path], None] | None = None) -> bool:
    """Write one file so that it is either wholly new or untouched; raises as `Batch.stage` does.

    Returns
    -------
    bool
        False where it held exactly these bytes already and was left alone.
    """
    with Batch() as batch:
        fresh = batch.stage(path, data, verify)
        batch.commit()
    return fresh


def write_text(path: str | Path, text: str) -> None:
    """Write a UTF-8 text file; raises as `write_bytes` does."""
    write_bytes(path, encoded(text, path))


def encoded(text: str, path: str | Path) -> bytes:
    """Text as UTF-8; raises MivexError where it holds a lone half of a character."""
    try:
        return text.encode("utf-8")
    except UnicodeEncodeError as e:
        lone = f"U+{ord(text[e.start]):04X}"
        raise MivexError(
            Message("“{name}” cannot be written: {lone} in it is no character.", name=Path(path).name, lone=lone)
        ) from None

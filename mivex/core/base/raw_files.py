"""Steps of writing one file safely: a name of its own beside it, what is flushed, what is compared."""

import contextlib
import fcntl
import os
import shutil
import stat
import tempfile
from pathlib import Path

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message

PREFIX = ".mivex-"
"""Unfinished files begin with this; those of a killed run are cleared by the next one that writes there."""


def set_aside(path: Path, beside: Path) -> Path | None:
    """A second name for the file that is about to be replaced, so that it can be put back; none if there is no file."""
    old = beside.with_name(f"{beside.name}.old")
    try:
        os.link(path, old)
    except FileNotFoundError:
        return None
    except OSError:
        shutil.copy2(path, old)  # a file system without links, or a file that belongs to somebody else
    return old


def sync_folder(folder: Path) -> None:
    """New names reach the disk too; a file system that cannot do this has no need to."""
    with contextlib.suppress(OSError):
        handle = os.open(folder, os.O_RDONLY | os.O_DIRECTORY)
        try:
            os.fsync(handle)
        finally:
            os.close(handle)


def holds(path: Path, data: bytes) -> bool:
    """Whether a file holds exactly these bytes."""
    try:
        return path.stat().st_size == len(data) and path.read_bytes() == data
    except OSError:
        return False


def mode_of(path: Path) -> int:
    """Permissions for a file that replaces ``path``; refuses to replace what is no file."""
    try:
        seen = path.lstat()
    except FileNotFoundError:
        mask = os.umask(0)
        os.umask(mask)
        return 0o666 & ~mask
    if stat.S_ISDIR(seen.st_mode):
        raise MivexError(Message("“{path}” cannot be written: a folder has that name.", path=path))
    if not stat.S_ISREG(seen.st_mode):
        raise MivexError(Message("“{path}” cannot be written: it is a device, pipe or socket.", path=path))
    if not os.access(path, os.W_OK):
        raise MivexError(Message("“{path}” cannot be written: permission is denied.", path=path))
    return seen.st_mode & 0o777


def claim_name(path: Path) -> tuple[int, Path]:
    """A new, locked, empty file beside ``path`` with the same ending."""
    while True:
        handle, name = tempfile.mkstemp(prefix=PREFIX, suffix=path.suffix, dir=path.parent)
        try:
            with contextlib.suppress(OSError):
                fcntl.flock(handle, fcntl.LOCK_EX)
            # Another run may have swept it before it was locked.
            if os.fstat(handle).st_nlink:
                return handle, Path(name)
        except BaseException:
            os.close(handle)
            raise
        os.close(handle)


def write_all(handle: int, data: bytes) -> None:
    """Write bytes to an open file, however little the system takes at once, and force them to disk."""
    view, at = memoryview(data), 0
    while at < len(view):
        at += os.write(handle, view[at : at + (1 << 26)])
    os.fsync(handle)


def read_all(handle: int, size: int) -> bytes:
    """The first ``size`` bytes of an open file, and one more where there are more, so that a longer file differs."""
    parts, at = [], 0
    while at < size + 1:
        part = os.pread(handle, min(1 << 26, size + 1 - at), at)
        if not part:
            break
        parts.append(part)
        at += len(part)
    return b"".join(parts)

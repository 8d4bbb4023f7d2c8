"""Paths, and reading small files: what is refused, and in which words."""

import os
import stat
from pathlib import Path

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, term

TEXT_LIMIT = 64 << 20


def shown(path: str | Path) -> str:
    """A path as it can be printed anywhere, whatever bytes its name holds."""
    return "".join(
        c if c.isprintable() else "\N{REPLACEMENT CHARACTER}" for c in str(path).encode("utf-8", "replace").decode("utf-8")
    )


def check_path(path: str | Path) -> Path:
    """A path that the system and every library can take; raises MivexError with the reason if it is not."""
    text = str(path)
    if "\0" in text:
        raise MivexError(Message("“{text}” cannot be a file: its name holds a NUL character.", text=shown(text)))
    try:
        text.encode("utf-8")
    except UnicodeEncodeError:
        raise MivexError(
            Message("“{text}” has a name that is not UTF-8 text; rename the file first.", text=shown(text))
        ) from None
    return Path(text)


def reason(error: OSError) -> str:
    """Why the system refused, as the end of a sentence."""
    return (error.strerror or str(error)).lower()


def check_regular(path: str | Path, limit: int, what: str = "file") -> Path:
    """Refuse what is not a regular, readable, non-empty file of at most ``limit`` bytes.

    Raises
    ------
    MivexError
        Also for devices, pipes and sockets: reading them might never end.
    """
    path = check_path(path)
    try:
        _judge(os.stat(path), path, limit, what)
        if not os.access(path, os.R_OK):
            raise MivexError(Message("“{name}” cannot be read: permission is denied.", name=path.name))
    except OSError as e:
        raise _unreadable(path, e) from None
    return path


def read_bytes(path: str | Path, limit: int = TEXT_LIMIT, what: str = "file") -> bytes:
    """Read a regular file whole, after a look at its size; raises as `check_regular` does."""
    path = check_path(path)
    try:
        # Not to wait for a pipe's other end, which opening would.
        handle = os.open(path, os.O_RDONLY | os.O_NONBLOCK | os.O_CLOEXEC)
        with os.fdopen(handle, "rb") as f:
            _judge(os.fstat(handle), path, limit, what)
            return f.read(limit + 1)
    except OSError as e:
        raise _unreadable(path, e) from None


def _judge(seen: os.stat_result, path: Path, limit: int, what: str) -> None:
    name = path.name or str(path)
    if stat.S_ISDIR(seen.st_mode):
        raise MivexError(Message("“{name}” is a folder, not a {what}.", name=name, what=term(what)))
    if not stat.S_ISREG(seen.st_mode):
        raise MivexError(Message("“{name}” is a device, pipe or socket, not a {what}.", name=name, what=term(what)))
    if seen.st_size == 0:
        raise MivexError(Message("“{name}” is empty (0 bytes).", name=name))
    if seen.st_size > limit:
        raise MivexError(
            Message(
                "“{name}” is larger than the {limit} MB that Mivex reads of a {what}.",
                name=name,
                limit=limit >> 20,
                what=term(what),
            )
        )


def _unreadable(path: Path, e: OSError) -> MivexError:
    if isinstance(e, FileNotFoundError | NotADirectoryError):
        return MivexError(Message("There is no file “{path}”.", path=path))
    if isinstance(e, PermissionError):
        return MivexError(Message("“{name}” cannot be read: permission is denied.", name=path.name))
    return MivexError(Message("“{name}” cannot be read: {e}.", name=path.name[:80], e=term(reason(e))))

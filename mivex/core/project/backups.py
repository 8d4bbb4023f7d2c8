"""Copies of a project's last saves, in the user's state folder: what was saved over can be had again."""

import contextlib
import hashlib
import os
import time
from dataclasses import dataclass
from pathlib import Path

from mivex.core.base.errors import MivexError
from mivex.core.base.log import state_folder
from mivex.core.base.paths import TEXT_LIMIT, read_bytes
from mivex.core.base.store import write_bytes

KEPT = 12
"""Earlier saves of a project that are kept."""


@dataclass(frozen=True)
class Earlier:
    """An earlier save.

    Attributes
    ----------
    file : Path
    saved : float
        When it was saved over, seconds since 1970.
    size : int
        Bytes.
    """

    file: Path
    saved: float
    size: int


def _folder(project: str | Path) -> Path:
    name = hashlib.blake2b(os.path.realpath(project).encode("utf-8", "surrogateescape"), digest_size=12).hexdigest()
    return state_folder() / "earlier" / name


def keep_earlier(project: str | Path) -> bool:
    """Keep what a project's file holds before it is saved over; false where it could not be, which hinders no save."""
    path = Path(project)
    try:
        data = read_bytes(path, TEXT_LIMIT, "project")
        folder = _folder(path)
        folder.mkdir(parents=True, exist_ok=True)
        rows = earlier_of(path)
        if rows and rows[0].file.read_bytes() == data:
            return True
        write_bytes(folder / f"{time.time_ns():020d}.mivex", data)
        for old in earlier_of(path)[KEPT:]:
            old.file.unlink(missing_ok=True)
        return True
    except (OSError, MivexError):
        return False


def earlier_of(project: str | Path) -> list[Earlier]:
    """Earlier saves of a project, the newest first."""
    rows = []
    with contextlib.suppress(OSError):
        for f in _folder(project).glob("*.mivex"):
            with contextlib.suppress(OSError, ValueError):
                rows.append(Earlier(f, int(f.stem) / 1e9, f.stat().st_size))
    return sorted(rows, key=lambda r: -r.saved)

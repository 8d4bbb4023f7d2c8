"""Where compiled kernels are kept, and for which sources they are good.

Beside the kernels, where the program's own folder can be written, as in a checkout. Otherwise, as in an installation that
belongs to the system, in a folder of the user's own, or, for an account without a home, below the folder for temporary
files. The name of such a folder holds the sources' hash, so that another version never meets what this one compiled.
"""

import hashlib
import os
import stat
import tempfile
from functools import cache
from pathlib import Path

CORE = Path(__file__).parent.parent


def kernel_files() -> list[Path]:
    """Every module that holds kernels, and the one that says how they are compiled."""
    return [*sorted(CORE.glob("**/kernels/*.py")), CORE / "base" / "compile.py"]


@cache
def sources_mark() -> str:
    """Hash of the kernels' sources: what was compiled is good only for these."""
    h = hashlib.blake2b(digest_size=12)
    for path in kernel_files():
        h.update(path.name.encode() + b"\0" + path.read_bytes())
    return h.hexdigest()


def _writable(folder: Path) -> bool:
    """Whether files can be made in a folder, or in the nearest one above it that exists."""
    while not folder.exists() and folder != folder.parent:
        folder = folder.parent
    return os.access(folder, os.W_OK | os.X_OK)


def _private(folder: Path) -> bool:
    """Whether a folder is this user's alone: compiled code is loaded from it, and anybody may write in /tmp."""
    try:
        os.makedirs(folder, mode=0o700, exist_ok=True)
        seen = folder.lstat()
    except OSError:
        return False
    return stat.S_ISDIR(seen.st_mode) and seen.st_uid == os.geteuid() and not seen.st_mode & 0o077


@cache
def folder() -> Path | None:
    """The folder for compiled kernels where it is not beside them; None: beside them, or nowhere at all.

    A folder that ``NUMBA_CACHE_DIR`` names is left to whoever set it.
    """
    if os.environ.get("NUMBA_CACHE_DIR"):
        return Path(os.environ["NUMBA_CACHE_DIR"])
    if _writable(CORE / "pixels" / "kernels" / "__pycache__"):
        return None
    from platformdirs import user_cache_path

    name = f"kernels-{sources_mark()}"
    own = user_cache_path("mivex") / name
    if _writable(own):
        return own
    spare = Path(tempfile.gettempdir()) / f"mivex-{os.geteuid()}-{name}"
    return spare if _private(spare) else None


def can_keep() -> bool:
    """Whether compiled kernels can be kept anywhere."""
    return folder() is not None or _writable(CORE / "pixels" / "kernels" / "__pycache__")

"""At home on the desktop: the entry in the menu, the kind of file and the icon, in the user's own folders (XDG)."""

import contextlib
import os
import shutil
import subprocess
import sys
from pathlib import Path

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, term
from mivex.core.base.paths import reason
from mivex.core.base.store import write_bytes

ASSETS = Path(__file__).parent.parent / "assets" / "desktop"
PLACES = {
    "mivex.desktop": "applications/mivex.desktop",
    "mivex-mime.xml": "mime/packages/mivex.xml",
    "mivex.svg": "icons/hicolor/scalable/apps/mivex.svg",
}
"""What is put where, below the user's data folder."""
_UPDATES = (("update-mime-database", "mime"), ("update-desktop-database", "applications"))


def data_home() -> Path:
    """The user's data folder (XDG Base Directory Specification 0.8)."""
    named = os.environ.get("XDG_DATA_HOME", "")
    return Path(named) if os.path.isabs(named) else Path.home() / ".local" / "share"


def program() -> str:
    """The command that starts Mivex: its whole path."""
    beside = Path(sys.executable).with_name("mivex")
    return str(beside) if beside.is_file() else shutil.which("mivex") or "mivex"


def _text(value: str) -> str:
    """A value of a desktop entry (Desktop Entry Specification 1.5, section 4): backslashes and line breaks are escaped."""
    return value.replace("\\", "\\\\").replace("\n", "\\n").replace("\t", "\\t").replace("\r", "\\r")


def exec_word(path: str) -> str:
    """A program's path as ``Exec`` takes it (section 7): quoted where it holds a reserved character, % doubled.

    Within the quotes ``"``, `````, ``$`` and a backslash get a backslash before them; the value as a whole is then escaped
    as every text of the file is, so that a backslash becomes four.
    """
    reserved = " \t\n\"'\\><~|&;$*?#()`"
    word = path.replace("%", "%%")
    if any(c in reserved for c in word):
        word = '"' + "".join("\\" + c if c in '"`$\\' else c for c in word) + '"'
    return _text(word)


def install() -> list[Path]:
    """Put the entry, the kind of file and the icon in place; raises MivexError. Returns the files."""
    home, done = data_home(), []
    for name, where in PLACES.items():
        path = home / where
        try:
            path.parent.mkdir(parents=True, exist_ok=True)
        except OSError as e:
            raise MivexError(
                Message("The folder “{parent}” cannot be made: {e}.", parent=path.parent, e=term(reason(e)))
            ) from None
        write_bytes(
            path,
            (ASSETS / name)
            .read_bytes()
            .replace(b"TryExec=@EXEC@", b"TryExec=" + os.fsencode(_text(program())))
            .replace(b"@EXEC@", os.fsencode(exec_word(program()))),
        )
        done.append(path)
    _update(home)
    return done


def remove() -> list[Path]:
    """Take them away again; returns the files that were there."""
    home, gone = data_home(), []
    for where in PLACES.values():
        path = home / where
        if path.exists():
            try:
                path.unlink()
            except OSError as e:
                raise MivexError(Message("“{path}” cannot be removed: {e}.", path=path, e=term(reason(e)))) from None
            gone.append(path)
    _update(home)
    return gone


def _update(home: Path) -> None:
    """Have the desktop notice, where its tools are there."""
    for tool, folder in _UPDATES:
        if shutil.which(tool) and (home / folder).is_dir():
            with contextlib.suppress(OSError, subprocess.TimeoutExpired):
                subprocess.run([tool, str(home / folder)], capture_output=True, timeout=20, check=False)

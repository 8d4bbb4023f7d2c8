"""What went wrong, for whoever has to mend it: a log in the user's state folder.

The artist gets one sentence; where it came from is written here. With
``MIVEX_DEBUG`` set it is also printed on standard error.
"""

import logging
import os
import sys
import tempfile
from functools import cache
from logging.handlers import RotatingFileHandler
from pathlib import Path

from mivex.core.base.messages import Message, term


def state_folder() -> Path:
    """Where logs, locks and kept work lie; made when first asked for.

    Without a home (a service's user, a container) it lies in the folder for temporary files.
    """
    import platformdirs

    try:
        folder = platformdirs.user_state_path("mivex", appauthor=False)
    except (RuntimeError, KeyError):
        folder = Path("~")
    if not folder.is_absolute():
        folder = Path(tempfile.gettempdir()) / f"mivex-{os.getuid()}"
    folder.mkdir(parents=True, exist_ok=True)
    return folder


@cache
def _logger(folder: str) -> logging.Logger:
    log = logging.getLogger(f"mivex.{folder}")
    log.setLevel(logging.INFO)
    log.propagate = False
    try:
        handler: logging.Handler = RotatingFileHandler(
            Path(folder) / "mivex.log", maxBytes=1 << 20, backupCount=2, encoding="utf-8", errors="replace", delay=True
        )
    except OSError:
        handler = logging.NullHandler()
    handler.setFormatter(logging.Formatter("%(asctime)s %(process)d %(threadName)s %(message)s"))
    log.addHandler(handler)
    return log


def failure(error: BaseException, where: str) -> str:
    """Write down an error that nobody foresaw, with its traceback; returns the sentence for the artist."""
    trace = (type(error), error, error.__traceback__)
    if os.environ.get("MIVEX_DEBUG"):
        import traceback

        traceback.print_exception(*trace, file=sys.stderr)
    hint = "MIVEX_DEBUG=1 shows where"
    try:
        folder = state_folder()
        logging.raiseExceptions = False
        _logger(str(folder)).error("%s", where, exc_info=trace)
        hint = "the log in Mivex's state folder tells where"
    except OSError:
        pass
    words = " ".join(str(error).split())[:200]
    return Message(
        "Something went wrong inside Mivex ({name}{ending}{words}); {hint}.",
        name=type(error).__name__,
        ending=term(": " if words else ""),
        words=term(words),
        hint=term(hint),
    )


def sentence(error: BaseException, where: str) -> str:
    """What to tell the artist about any error at all."""
    from mivex.core.base.errors import MivexError

    if isinstance(error, MivexError):
        return str(error)
    if isinstance(error, MemoryError):
        return "There is not enough memory for this."
    return failure(error, where)

"""Files that somebody else made are worked through in a process of its own, under limits of memory and time.

Whatever a library does with a hostile file, it does it there: it may run out of memory, loop or crash, and the window
or the command line goes on with a sentence.
"""

import json
import os
import subprocess
import sys
from pathlib import Path
from typing import Any

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, term
from mivex.core.base.paths import reason

BROKEN = 3
"""A child's exit code for a file that is not what it says; what it wrote on standard output tells why."""
PATIENCE = 2.0
"""By the clock a child gets so many times the seconds of CPU that it is allowed: others may want the machine as well."""

MARGIN = 5.0
"""And so many seconds more, to start."""


def run_guarded(
    child: Path, settings: dict[str, Any], data: bytes, *, memory: int, seconds: int, what: str
) -> tuple[int, bytes]:
    """Run a script on some data under limits.

    Parameters
    ----------
    child : Path
        A script that imports nothing of Mivex. Its standard input is a line of JSON, then the data; it sets its own
        limits first.
    settings : dict
        Passed on, with ``memory`` and ``seconds``.
    data : bytes
    memory : int
        Bytes of address space.
    seconds : int
        Of CPU.
    what : str
        The file's name, for the sentence.

    Returns
    -------
    exit code, standard output
        Of a child that ended by itself with 0 or `BROKEN`.

    Raises
    ------
    MivexError
        It asked for more than it was given, or died.
    """
    line = json.dumps(settings | {"memory": memory, "seconds": seconds}).encode() + b"\n"
    # One thread: each of a library's own would claim address space.
    env = os.environ | {"OPENBLAS_NUM_THREADS": "1", "OMP_NUM_THREADS": "1"}
    try:
        done = subprocess.run(
            [sys.executable, "-I", str(child)],
            input=line + data,
            stdout=subprocess.PIPE,
            stderr=subprocess.DEVNULL,
            timeout=seconds * PATIENCE + MARGIN,
            check=False,
            cwd="/",
            env=env,
        )
    except subprocess.TimeoutExpired:
        raise MivexError(
            Message("“{what}” takes more than {seconds} s of work; Mivex gave it up.", what=what, seconds=seconds)
        ) from None
    except OSError as e:
        raise MivexError(Message("“{what}” could not be looked at: {e}.", what=what, e=term(reason(e)))) from None
    if done.returncode not in (0, BROKEN):
        raise MivexError(
            Message(
                "“{what}” asks for more memory or time than Mivex gives one file ({memory} MB, {seconds} s of work).",
                what=what,
                memory=memory >> 20,
                seconds=seconds,
            )
        )
    return done.returncode, done.stdout

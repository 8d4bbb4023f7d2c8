"""The command that watches a folder."""

import contextlib
import sys
import time
from pathlib import Path
from typing import Annotated

import typer

from mivex.cli_output import say, say_json
from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message
from mivex.core.base.store import check_folder


def watch(
    folder: Annotated[str, typer.Argument(metavar="FOLDER", help="Pictures and projects, in it and in its folders.")],
    out: Annotated[str, typer.Option(metavar="DIR", help="Deliver what has changed, each into a folder of its name.")] = "",
    recipe: Annotated[
        str, typer.Option(metavar="NAME", help="Delivery recipe for all of it: a key, a name or a file.")
    ] = "",
    limits: Annotated[str, typer.Option(metavar="FILE", help="Which findings do not count (TOML).")] = "",
    everything: Annotated[bool, typer.Option("--all", help="First everything that is there.")] = False,
    seconds: Annotated[float, typer.Option(metavar="S", help="End after so long; else at Ctrl+C.")] = 0.0,
    as_json: Annotated[bool, typer.Option("--json", help="Print one JSON object a line.")] = False,
) -> None:
    """Check and deliver anew what changes in a folder, for as long as it runs; one line for each."""
    from mivex.core.checking.limit_rules import read_limits
    from mivex.core.checking.watching import FolderWatch, handled, said, watched
    from mivex.core.project.delivery import read_delivery, recipe_named

    if recipe and not out:
        raise MivexError("--recipe says how to deliver; --out says where to.")
    if not 0 <= seconds < 1e9:
        raise MivexError("--seconds takes a number from 0 on.")
    rules = read_limits(limits) if limits else None
    chosen = read_delivery(recipe) if recipe.endswith(".json") else recipe
    if recipe and not recipe.endswith(".json"):
        with contextlib.suppress(MivexError):
            chosen = recipe_named(recipe)  # else it is one of the projects' own
    if out:
        check_folder(out)
    seen = FolderWatch(Path(folder), Path(out) if out else None)
    with contextlib.suppress(KeyboardInterrupt), seen:
        if not as_json:
            say(Message("Watching {folder}; Ctrl+C ends it.", folder=folder))
            sys.stdout.flush()
        for path in watched(seen, seconds or 1e9, everything=everything):
            begun = time.monotonic()
            report, files = handled(path, rules, Path(out) / seen.name_of(path) if out else None, chosen)
            if as_json:
                row = {"path": str(path), "findings": report.findings, "problem": report.problem, "delivered": files}
                say_json(row | {"seconds": round(time.monotonic() - begun, 3)}, None)
            else:
                say(said(report, files))
            sys.stdout.flush()

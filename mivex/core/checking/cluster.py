"""Many pictures, and large projects, on more than one machine: work is handed out by Dask, over a file system they share.

`dask.distributed <https://distributed.dask.org>`_ is an optional extra of the package. A worker that is lost is replaced
by another, and what it did is done anew; results come in the order in which they were asked for, and are what one machine
alone would give.
"""

import contextlib
import json
import logging
import os
import shutil
import tempfile
from collections.abc import Callable, Iterator, Sequence
from pathlib import Path
from typing import Any

from mivex.core.base.bands import one_core
from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, term
from mivex.core.base.paths import shown
from mivex.core.base.store import Batch, check_folder, write_text
from mivex.core.checking.batch import Report, report_on
from mivex.core.deliver.project import LIST, Delivery, deliver_project, listing_of
from mivex.core.project.delivery import DeliveryRecipe, parse_delivery
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import read_project
from mivex.core.project.layering import bakes_folder

PATIENCE = 15
"""Seconds until a scheduler must have answered."""


@contextlib.contextmanager
def _client(address: str) -> Iterator[Any]:
    """A connection to a scheduler; raises MivexError where there is none."""
    try:
        from distributed import Client
    except ImportError:
        raise MivexError(
            "--cluster needs the package “distributed”; install it with: pip install 'mivex[cluster]'"
        ) from None
    for name in ("distributed", "tornado", "asyncio"):
        logging.getLogger(name).setLevel(logging.CRITICAL)  # a lost worker is no news for the terminal
    try:
        client = Client(address, timeout=PATIENCE)
    except (OSError, TimeoutError, ValueError) as e:
        why = str(e).splitlines()[0][:160] if str(e) else "no answer"
        raise MivexError(
            Message("The cluster at “{address}” does not answer ({why}).", address=address, why=term(why))
        ) from None
    try:
        if not client.scheduler_info()["workers"]:
            with contextlib.suppress(Exception):
                client.wait_for_workers(1, timeout=PATIENCE)
        if not client.scheduler_info()["workers"]:
            raise MivexError(Message("The cluster at “{address}” has no workers.", address=address))
        yield client
    finally:
        with contextlib.suppress(Exception):
            client.close(timeout=2)


def _results(client: Any, work: Callable[..., Any], rows: Sequence[tuple[Any, ...]]) -> Iterator[Any]:
    """Results of ``work`` for rows of arguments, in their order; a MivexError in place of what took its workers down."""
    futures = [client.submit(work, *row, pure=False) for row in rows]
    try:
        for number, future in enumerate(futures):
            try:
                yield future.result()
            except MivexError:
                raise
            except Exception as e:
                if type(e).__name__ != "KilledWorker":
                    raise
                yield MivexError("Examining it ended the process that did, again and again.")
            futures[number] = None
    finally:
        client.cancel([f for f in futures if f is not None])


_begun = False


def _examined(path: str, as_given: str, receiver: str) -> Report:
    """On a worker: what is found in a file, under the name that was asked for."""
    global _begun  # noqa: PLW0603
    if not _begun:
        _begun = True
        one_core()
        with contextlib.suppress(OSError):
            os.nice(5)
    report = report_on(path, receiver)
    report.path = as_given
    for row in (*report.pictures, *report.findings):
        if row.get("path") in (path, shown(path)):
            row["path"] = as_given if row["path"] == path else shown(as_given)
    return report


def report_on_cluster(
    paths: list[str], address: str, tell: Callable[[int, int], None] = lambda _done, _all: None, receiver: str = ""
) -> Iterator[Report]:
    """As `mivex.core.checking.batch.report_all`, on the workers of a cluster.

    Parameters
    ----------
    paths : list of str
        Files that every worker can read under the same name.
    address : str
        Of a Dask scheduler, ``tcp://HOST:PORT``.
    tell : callable
    receiver : str

    Raises
    ------
    MivexError
        Nobody answers there, or there are no workers.
    """
    profile = str(Path(receiver).absolute()) if receiver.lower().endswith(".json") else receiver
    with _client(address) as client:
        rows = [(str(Path(p).absolute()), p, profile) for p in paths]
        for number, found in enumerate(_results(client, _examined, rows), 1):
            path = paths[number - 1]
            yield (
                Report(path, [{"path": shown(path), "problem": str(found)}], [], str(found))
                if isinstance(found, MivexError)
                else found
            )
            tell(number, len(paths))


def _delivered(project: str, folder: str, ident: str, recipe: str) -> str:
    """On a worker: deliver one overlay into a folder of its own; its id."""
    doc = read_project(project)
    evaluator = Evaluator(Path(project).parent)
    evaluator.bakes = bakes_folder(Path(project))
    chosen = parse_delivery(json.loads(recipe), "the recipe") if recipe else None
    deliver_project(doc, evaluator, folder, only=(ident,), recipe=chosen)
    return ident


def _linked(source: Path, target: Path) -> None:
    """The files of a folder in another, without their bytes being copied where that can be."""
    target.mkdir(parents=True, exist_ok=True)
    for path in source.iterdir() if source.is_dir() else ():
        if path.is_file() and not path.name.startswith("."):
            try:
                os.link(path, target / path.name)
            except OSError:
                shutil.copy2(path, target / path.name)


def deliver_on_cluster(
    project: str | Path,
    folder: str | Path,
    address: str,
    *,
    only: Sequence[str] = (),
    recipe: DeliveryRecipe | None = None,
    tell: Callable[[str], None] = lambda _: None,
) -> Delivery:
    """As `mivex.core.deliver.project.deliver_project`, each overlay on a worker of a cluster.

    Parameters
    ----------
    project : path
        Read by every worker under the same name.
    folder : path
        What is worked on lies beside it until all of it is done; then it is put in place at once.
    address : str
    only, recipe, tell
        As there.

    Raises
    ------
    MivexError
        As there, or nobody answers at the address; what lay in the folder before is untouched.
    """
    project, folder = Path(project).resolve(), Path(folder).resolve()
    doc = read_project(project)
    check_folder(folder)
    folder.parent.mkdir(parents=True, exist_ok=True)
    idents = [o.id for o in doc.overlays if o.source.ready and (not only or o.id in only)]
    names = {o.id: o.name for o in doc.overlays}
    text = json.dumps(recipe.model_dump(mode="json")) if recipe is not None else ""
    with tempfile.TemporaryDirectory(prefix=".mivex-cluster-", dir=folder.parent) as there:
        whole = Path(there) / "whole"
        _linked(folder, whole)
        # Folders are numbered: what an overlay is called in a project's file may be no name of a folder.
        scratch = {ident: Path(there) / str(k) for k, ident in enumerate(idents)}
        for own in scratch.values():
            _linked(folder, own)
        listing: dict[str, Any] = listing_of(whole) if (whole / LIST).is_file() else {"made_of": {}}
        with _client(address) as client:
            rows = [(str(project), str(scratch[ident]), ident, text) for ident in idents]
            for ident, found in zip(idents, _results(client, _delivered, rows), strict=True):
                if isinstance(found, MivexError):
                    raise MivexError(
                        Message("“{name}” could not be delivered: {why}", name=names[ident], why=term(str(found)))
                    )
                tell(Message("Delivered “{name}”", name=names[ident]))
                listing = _taken(scratch[ident], whole, listing, ident)
        write_text(whole / LIST, json.dumps(listing, indent=2, ensure_ascii=False) + "\n")
        # Every overlay lies there proved, and under its key: only what is made of all of them is left to do.
        evaluator = Evaluator(project.parent)
        evaluator.bakes = bakes_folder(project)
        made = deliver_project(doc, evaluator, whole, only=only, recipe=recipe, tell=tell)
        with Batch() as batch:
            folder.mkdir(parents=True, exist_ok=True)
            for path in sorted(whole.iterdir()):
                if path.is_file():
                    batch.stage(folder / path.name, path.read_bytes())
            batch.commit()
    return _moved(made, folder)


def _taken(scratch: Path, whole: Path, listing: dict[str, Any], ident: str) -> dict[str, Any]:
    """Bring an overlay's files together with the others'; the list with it."""
    own = listing_of(scratch)
    for name in own["made_of"][ident]["files"]:
        (whole / name).unlink(missing_ok=True)
        os.replace(scratch / name, whole / name)
    if "overlays" not in listing:
        listing = own | {"overlays": [], "motion": [], "made_of": {}}
    sheets = set(own["made_of"][ident]["files"])
    rows = [r for r in own["overlays"] if r["sheet"] in sheets]
    names = {r["name"] for r in rows}
    kept = [r for r in listing["overlays"] if r["name"] not in names]
    return listing | {
        "overlays": [*kept, *rows],
        "made_of": listing.get("made_of", {}) | {ident: own["made_of"][ident]},
    }


def _moved(made: Delivery, folder: Path) -> Delivery:
    """What was delivered, at the place where it lies now."""
    from dataclasses import replace

    def at(path: Path) -> Path:
        return folder / path.name

    rows = [
        replace(d, files=tuple(map(at, d.files)), sheet=at(d.sheet), others=tuple(map(at, d.others))) for d in made.overlays
    ]
    proof = at(made.proof) if made.proof else None
    return Delivery(rows, [at(p) for p in made.motion], at(made.listing), proof, made.unsaid)

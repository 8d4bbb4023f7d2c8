"""A project's files: collected beside it on request, and found again where they have been moved."""

import os
from collections.abc import Callable, Iterable
from dataclasses import dataclass
from pathlib import Path

from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.messages import Message, named, term
from mivex.core.base.paths import read_bytes, reason, shown
from mivex.core.base.store import Batch
from mivex.core.project.document import Document
from mivex.core.project.file import absolute, paths_of, with_all_paths

FOLDER = "pictures"
"""Where a project's files are collected, beside it."""
LARGEST = 2 << 30
MOST_LOOKED_AT = 20_000
"""Files that are looked at, at most, to find what was moved."""


def missing(doc: Document, folder: str | Path) -> list[str]:
    """Paths, as the document has them, at which there is no file."""
    return [p for p in paths_of(doc) if not os.path.isfile(absolute(p, folder))]


def outside(doc: Document, folder: str | Path) -> list[str]:
    """Paths of files that do not lie beside the project or below it."""
    home = os.path.realpath(folder)
    return [p for p in paths_of(doc) if os.path.commonpath([home, os.path.realpath(absolute(p, folder))]) != home]


@dataclass(frozen=True)
class Collected:
    """What was collected: new paths by those that the document has, and how many files were copied."""

    moved: dict[str, str]
    copied: int
    missing: tuple[str, ...] = ()


def collected(doc: Document, folder: str | Path, stop: Callable[[], bool] = lambda: False) -> Collected:
    """Copy every file that lies elsewhere into a folder beside the project, and name it there.

    Parameters
    ----------
    doc : Document
    folder : str or Path
        The project's.
    stop : callable
        Asked between files; true raises Stopped, and nothing is put in place.

    Raises
    ------
    MivexError
        A file cannot be read, or the folder cannot be written; nothing is put in place then.
    """
    home = Path(folder)
    away = outside(doc, folder)
    lost = tuple(p for p in away if not os.path.isfile(absolute(p, folder)))
    target = home / FOLDER
    moved: dict[str, str] = {}
    contents: dict[str, bytes] = {}
    with Batch() as batch:
        for p in away:
            if p in lost:
                continue
            if stop():
                raise Stopped
            whole = Path(absolute(p, folder))
            data = read_bytes(whole, LARGEST)
            name = _free(whole.name, data, target, contents)
            if name not in contents:
                try:
                    target.mkdir(exist_ok=True)
                except OSError as e:
                    raise MivexError(
                        Message("The folder “{target}” cannot be made: {e}.", target=target, e=term(reason(e)))
                    ) from None
                batch.stage(target / name, data)
                contents[name] = data
            moved[p] = f"{FOLDER}/{name}"
        batch.commit()
    return Collected(moved, len(contents), lost)


def _free(name: str, data: bytes, target: Path, taken: dict[str, bytes]) -> str:
    """A name in the folder under which nothing else lies."""
    stem, suffix = os.path.splitext(name)
    number = 1
    while True:
        wish = name if number == 1 else f"{stem}_{number}{suffix}"
        there = target / wish
        if wish in taken:
            if taken[wish] == data:
                return wish
        elif not there.exists() or (there.is_file() and there.stat().st_size == len(data) and there.read_bytes() == data):
            return wish
        number += 1


def _looked_through(folders: Iterable[Path], wanted: set[str], stop: Callable[[], bool]) -> dict[str, list[Path]]:
    found: dict[str, list[Path]] = {}
    seen: set[str] = set()
    count = 0
    for top in folders:
        for here, inner, names in os.walk(top):
            real = os.path.realpath(here)
            if real in seen or stop():
                inner.clear()
                continue
            seen.add(real)
            inner[:] = [d for d in inner if not d.startswith(".")]
            for n in names:
                count += 1
                if n.lower() in wanted:
                    found.setdefault(n.lower(), []).append(Path(here) / n)
            if count > MOST_LOOKED_AT:
                return found
    return found


def found_again(
    doc: Document, folder: str | Path, also: Iterable[str | Path] = (), stop: Callable[[], bool] = lambda: False
) -> dict[str, str]:
    """Where files that are missing lie now: by name, where just one has it, or one lies in a folder of the same name.

    Parameters
    ----------
    doc : Document
    folder : str or Path
        The project's: it is looked through with everything below, and so are the folders of files that are there.
    also : iterable of str or Path
        Further folders.
    stop : callable
        Asked between folders; true ends the search.

    Returns
    -------
    mapping of a path as the document has it to the new one, relative to the project where it lies below it.
    """
    gone = missing(doc, folder)
    if not gone:
        return {}
    beside = {Path(absolute(p, folder)).parent for p in paths_of(doc) if os.path.isfile(absolute(p, folder))}
    places = [Path(folder), *(Path(a) for a in also), *sorted(beside)]
    rows = _looked_through(places, {Path(p).name.lower() for p in gone}, stop)
    made: dict[str, str] = {}
    for p in gone:
        hits = list(dict.fromkeys(os.path.realpath(h) for h in rows.get(Path(p).name.lower(), [])))
        if len(hits) > 1:
            same = [h for h in hits if Path(h).parent.name == Path(absolute(p, folder)).parent.name]
            hits = same if len(same) == 1 else []
        if len(hits) == 1:
            made[p] = _named(hits[0], folder)
    return made


def _named(path: str, folder: str | Path) -> str:
    rel = os.path.relpath(path, os.path.realpath(folder))
    return path if rel.startswith("..") else rel


def with_found(doc: Document, moved: dict[str, str]) -> Document:
    """The document with files named where they lie now."""
    return with_all_paths(doc, lambda p: moved.get(p, p))


def told(paths: Iterable[str]) -> str:
    """File names for a sentence: the first three, and how many more there are."""
    names = [shown(Path(p).name) for p in paths]
    return named(", ", (f"“{n}”" for n in names[:3])) + (
        Message(" and {count} more", count=len(names) - 3) if len(names) > 3 else ""
    )

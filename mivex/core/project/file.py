"""Reading and writing the project file ``NAME.mivex``."""

import contextlib
import hashlib
import json
import os
from collections.abc import Callable
from dataclasses import dataclass
from pathlib import Path
from typing import Any

from pydantic import ValidationError

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, term
from mivex.core.base.paths import check_path, read_bytes, shown
from mivex.core.base.store import encoded, protect, write_bytes
from mivex.core.motion.model import Effect
from mivex.core.project.document import VERSION, Document, Overlay
from mivex.core.project.layering import use_each_other, with_paths
from mivex.core.project.recipe import check_depth, check_steps, explain, parse_json, with_files
from mivex.core.project.variants import synced
from mivex.core.stage.placements_model import MeshPlace

MOST_OVERLAYS = 4096


def dumps(doc: Document) -> str:
    """The document as project text."""
    tree = doc.model_dump(mode="json")
    # Parts of which nothing was changed are left out, so that an older file stays as it was.
    for key in ("lighting", "around"):
        if tree.get(key) == {}:
            del tree[key]
    for o in tree["overlays"]:
        for key in ("finish", "mapping"):
            if o["material"].get(key) == {}:
                del o["material"][key]
        if o["layers"] == {}:
            del o["layers"]
        if not o["reference"]:
            del o["reference"]
    return json.dumps(tree, indent=2, ensure_ascii=False) + "\n"


def loads(data: Any, what: str) -> Document:
    """A document from the objects of a project file.

    Raises
    ------
    MivexError
        Not a project, of a newer version, or with a value that cannot be.
    """
    if not isinstance(data, dict) or "mivex" not in data:
        raise MivexError(Message("{what} is not a Mivex project.", what=term(what)))
    version = data["mivex"]
    # A truth value is an integer in Python; "mivex": true is none.
    if isinstance(version, bool) or not isinstance(version, int) or version < 1:
        raise MivexError(
            Message("{what} does not say which version it is: “mivex” must be a whole number from 1 on.", what=term(what))
        )
    if version > VERSION:
        raise MivexError(
            Message(
                "{what} was saved by a newer Mivex (format {version}; this one reads up to "
                "{version2}). It was left untouched.",
                what=term(what),
                version=version,
                version2=VERSION,
            )
        )
    # Before anything is built of it: a file of ten thousand brackets would end the process.
    check_depth(data, what)
    rows = data.get("overlays")
    if isinstance(rows, list):
        if len(rows) > MOST_OVERLAYS:
            raise MivexError(
                Message(
                    "{what} has {count:,} overlays; Mivex takes {most_overlays:,}.",
                    what=term(what),
                    count=len(rows),
                    most_overlays=MOST_OVERLAYS,
                )
            )
        for row in rows:
            if isinstance(row, dict):
                check_steps(row.get("steps"), f"{what}: “{str(row.get('name', ''))[:60]}”")
    try:
        doc = Document.model_validate(data)
    except ValidationError as e:
        raise MivexError(explain(e, what)) from None
    except RecursionError:
        # Deep within allowed depth Pydantic may still reach the interpreter's limit.
        raise MivexError(Message("{what} is nested too deeply.", what=term(what))) from None
    ids = [o.id for o in doc.overlays]
    if len(set(ids)) != len(ids):
        raise MivexError(Message("{what}: two overlays have the same id.", what=term(what)))
    for o in doc.overlays:
        if wrong := use_each_other(doc, o.id):
            raise MivexError(Message("{what}: {wrong}", what=term(what), wrong=term(wrong)))
    # Variants follow their originals by rule, also where a file says otherwise.
    return synced(doc, doc)


@dataclass(frozen=True)
class Stamp:
    """What a project file held when it was last seen; equal stamps, equal files."""

    content: str = ""

    @classmethod
    def of(cls, data: bytes) -> "Stamp":
        """The stamp of a file's bytes."""
        return cls(hashlib.blake2b(data, digest_size=16).hexdigest())

    @classmethod
    def on_disk(cls, path: str | Path) -> "Stamp":
        """The stamp of a file as it is now; the empty one where there is none."""
        try:
            return cls.of(read_bytes(path, what="project"))
        except MivexError:
            return cls()


class ChangedOnDisk(MivexError):
    """The file that would be replaced is not the one that was read; nothing was written."""


def read_project(path: str | Path) -> Document:
    """Read a project file; picture paths are kept as they stand, relative to it."""
    return open_project(path)[0]


def open_project(path: str | Path) -> tuple[Document, Stamp]:
    """Read a project file, and remember what it held; raises MivexError."""
    path = check_path(path)
    raw = read_bytes(path, what="project")
    return loads(parse_json(raw, path), f"“{shown(path.name)}”"), Stamp.of(raw)


def write_project(path: str | Path, doc: Document, seen: Stamp | None = None) -> Stamp:
    """Write a project file, atomically.

    Parameters
    ----------
    path : str or Path
    doc : Document
    seen : Stamp, optional
        The file as it was last seen; where it is another one now, nothing is written.

    Returns
    -------
    Stamp
        Of the file as it is now.

    Raises
    ------
    ChangedOnDisk
        Somebody else has written it.
    MivexError
        It cannot be written; the old file is untouched.
    """
    path = check_path(path)
    # A file that has gone may be written again; one that is another may not.
    if seen is not None and Stamp.on_disk(path) not in (seen, Stamp()):
        raise ChangedOnDisk(
            Message(
                "“{name}” was changed on disk by somebody else since it was opened; it was not overwritten.", name=path.name
            )
        )
    data = encoded(dumps(doc), path)
    if not write_bytes(path, data):
        # Whoever presses Save finds the time of saving on the file, also where nothing has changed since.
        with contextlib.suppress(OSError):
            os.utime(path)
    return Stamp.of(data)


def absolute(path: str, folder: str | Path) -> str:
    """A picture's path made absolute against the project's folder."""
    return path if not path or os.path.isabs(path) else os.path.normpath(os.path.join(folder, path))


def _overlay_with_paths(o: Overlay, change: Callable[[str], str]) -> Overlay:
    steps = tuple(with_files(s, change) for s in o.steps)
    places = tuple(p.model_copy(update={"path": change(p.path)}) if isinstance(p, MeshPlace) else p for p in o.places)
    o = with_paths(o.model_copy(update={"places": places, "steps": steps, "reference": change(o.reference)}), change)
    return o.model_copy(
        update={
            "source": o.source.model_copy(update={"path": change(o.source.path)}),
            "material": o.material.with_paths(change),
        }
    )


def with_all_paths(doc: Document, there: Callable[[str], str]) -> Document:
    """The same document with every path of a file that it names as ``there`` gives it; empty ones stay."""

    def change(p: str) -> str:
        return there(p) if p else p

    def moved(e: Effect) -> Effect:
        return e.model_copy(
            update={
                "parts": tuple(
                    p.model_copy(update={"emission": p.emission.model_copy(update={"mesh": change(p.emission.mesh)})})
                    if p.emission.mesh
                    else p
                    for p in e.parts
                )
            }
        )

    return doc.model_copy(
        update={
            "overlays": tuple(_overlay_with_paths(o, change) for o in doc.overlays),
            "effects": tuple(moved(e) for e in doc.effects),
            "around": doc.around.model_copy(update={"path": change(doc.around.path)}),
        }
    )


def paths_of(doc: Document) -> list[str]:
    """Path of every file that a document names, as it names them."""
    found: dict[str, None] = {}

    def seen(p: str) -> str:
        found[p] = None
        return p

    with_all_paths(doc, seen)
    return list(found)


def _overlay_paths(o: Overlay) -> tuple[str, ...]:
    found: dict[str, None] = {}

    def seen(p: str) -> str:
        if p:
            found[p] = None
        return p

    _overlay_with_paths(o, seen)
    return tuple(found)


class PathsOf:
    """`paths_of` for documents that follow one another: overlays that are the same object as before are not looked at."""

    def __init__(self) -> None:
        self._rows: dict[str, tuple[Overlay, tuple[str, ...]]] = {}

    def __call__(self, doc: Document) -> list[str]:
        """Path of every file that a document names, as it names them."""
        rows: dict[str, tuple[Overlay, tuple[str, ...]]] = {}
        for o in doc.overlays:
            held = self._rows.get(o.id)
            rows[o.id] = held if held is not None and held[0] is o else (o, _overlay_paths(o))
        self._rows = rows
        rest = paths_of(doc.model_copy(update={"overlays": ()}))
        return list(dict.fromkeys([p for _, found in rows.values() for p in found] + rest))


def protect_files(doc: Document, project: str | Path) -> None:
    """See to it that this process writes over no file that a project reads."""
    folder = Path(project).resolve().parent
    protect(absolute(p, folder) for p in paths_of(doc) if p)


def relocated(doc: Document, old_folder: str | Path, new_folder: str | Path) -> Document:
    """The same document with paths rewritten for a project file in another folder."""

    def there(p: str) -> str:
        whole = absolute(p, old_folder)
        try:
            rel = os.path.relpath(whole, new_folder)
        except ValueError:
            return whole
        # More than two folders up a relative path breaks more easily than an absolute one.
        return whole if rel.startswith(os.path.join("..", "..", "..")) else rel

    ignored = tuple(r.model_copy(update={"path": there(r.path)}) for r in doc.ignored)
    return with_all_paths(doc, there).model_copy(update={"ignored": ignored})

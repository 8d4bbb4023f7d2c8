"""Reading and writing the project file ``NAME.mivex``."""

import json
import os
from pathlib import Path
from typing import Any

from pydantic import ValidationError

from mivex.core.errors import MivexError
from mivex.core.image.files import write_text
from mivex.core.project.document import VERSION, Document, Overlay
from mivex.core.project.recipe import explain, read_json, with_files


def dumps(doc: Document) -> str:
    """The document as project text."""
    return json.dumps(doc.model_dump(mode="json"), indent=2, ensure_ascii=False) + "\n"


def loads(data: Any, what: str) -> Document:
    """A document from the objects of a project file.

    Raises
    ------
    MivexError
        Not a project, of a newer version, or with a value that cannot be.
    """
    if not isinstance(data, dict) or "mivex" not in data:
        raise MivexError(f"{what} is not a Mivex project.")
    version = data["mivex"]
    if not isinstance(version, int):
        raise MivexError(f"{what} does not say which version it is.")
    if version > VERSION:
        raise MivexError(f"{what} was saved by a newer Mivex (format {version}; this one reads up to "
                         f"{VERSION}). It was left untouched.")
    try:
        doc = Document.model_validate(data)
    except ValidationError as e:
        raise MivexError(explain(e, what)) from None
    ids = [o.id for o in doc.overlays]
    if len(set(ids)) != len(ids):
        raise MivexError(f"{what}: two overlays have the same id.")
    return doc


def read_project(path: str | Path) -> Document:
    """Read a project file; picture paths are kept as they stand, relative to it."""
    path = Path(path)
    return loads(read_json(path), f"“{path.name}”")


def write_project(path: str | Path, doc: Document) -> None:
    """Write a project file atomically."""
    write_text(path, dumps(doc))


def absolute(path: str, folder: str | Path) -> str:
    """A picture's path made absolute against the project's folder."""
    return path if not path or os.path.isabs(path) else os.path.normpath(os.path.join(folder, path))


def moved(doc: Document, old_folder: str | Path, new_folder: str | Path) -> Document:
    """The same document with picture paths rewritten for a project file in another folder."""
    def there(p: str) -> str:
        if not p:
            return p
        whole = absolute(p, old_folder)
        try:
            rel = os.path.relpath(whole, new_folder)
        except ValueError:
            return whole
        return whole if rel.startswith(os.path.join("..", "..", "..")) else rel

    def fix(o: Overlay) -> Overlay:
        steps = tuple(with_files(s, there) for s in o.steps)
        return o.model_copy(update={"source": o.source.model_copy(update={"path": there(o.source.path)}),
                                    "steps": steps})
    return doc.model_copy(update={"overlays": tuple(fix(o) for o in doc.overlays)})

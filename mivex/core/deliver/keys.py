"""What a delivery was made of, so that what has not changed need not be made again.

For every part of a delivery (an overlay with its files, the motion, the stage) ``delivery.json`` holds a key, the hash of
everything that the part is made of, and the hash of every file. A part is left as it is where its key is the same and every
one of its files still holds what was written.
"""

import hashlib
import json
from collections.abc import Iterable, Mapping
from functools import cache
from importlib.metadata import distributions
from pathlib import Path
from typing import Any

from mivex import __version__
from mivex.core.deliver.compared import Compared, Delivered
from mivex.core.deliver.planning import Planned
from mivex.core.picture.encode import ReadBack
from mivex.core.project.delivery import DeliveryRecipe
from mivex.core.project.document import Document, Overlay
from mivex.core.project.file import absolute, paths_of
from mivex.core.project.layering import overlays_read
from mivex.core.scene.material_binding import read_by
from mivex.core.stage.meshes import files_of

CORE = Path(__file__).parent.parent


@cache
def _program() -> str:
    """Hash of the program's own sources and of its libraries' versions: others may deliver other bytes."""
    h = hashlib.blake2b(__version__.encode(), digest_size=16)
    for name in sorted({(d.name, d.version) for d in distributions()}):
        h.update(" ".join(name).encode())
    for path in sorted(CORE.rglob("*")):
        # Sources and assets alike: another kernel or another font delivers other bytes under the same settings.
        if "__pycache__" not in path.parts and path.is_file():
            h.update(str(path.relative_to(CORE)).encode() + b"\0" + path.read_bytes())
    return h.hexdigest()


def digest_of(path: Path) -> str:
    """Hash of a file's bytes; empty where it cannot be read."""
    try:
        with path.open("rb") as f:
            return hashlib.file_digest(f, lambda: hashlib.blake2b(digest_size=16)).hexdigest()
    except OSError:
        return ""


class ContentKeys:
    """Keys of what is delivered of a document.

    Parameters
    ----------
    doc : Document
    folder : Path
        The project's: paths are relative to it.
    """

    def __init__(self, doc: Document, folder: Path) -> None:
        self.doc, self.folder = doc, folder
        self._files: dict[str, str] = {}

    def _content(self, path: str) -> str:
        # Each file is read once for all overlays that name it, with those that lie beside it.
        if path not in self._files:
            self._files[path] = " ".join(map(digest_of, files_of(absolute(path, self.folder))))
        return self._files[path]

    def _hashed(self, *parts: object) -> str:
        text = "\0".join([_program(), *(p if isinstance(p, str) else json.dumps(p, sort_keys=True) for p in parts)])
        return hashlib.blake2b(text.encode(), digest_size=16).hexdigest()

    def _around(self) -> str:
        a = self.doc.around
        return a.model_dump_json() + (self._content(a.path) if a.path else "")

    def _reached(self, o: Overlay, recipe: DeliveryRecipe) -> list[Overlay]:
        """An overlay, and all that it is made of or delivered with, directly, by others or by what the recipe packs."""
        found: dict[str, Overlay] = {}
        packed = {feed.overlay for file in recipe.files for feed in file.channels.values() if feed.overlay}
        # A recipe may pack channels of other overlays by name or by id.
        waiting = [o.id, *(x.id for x in self.doc.overlays if {x.id, x.name} & packed)]
        while waiting:
            one = self.doc.overlay(waiting.pop())
            if one is None or one.id in found:
                continue
            found[one.id] = one
            # All the way down, and to variants both ways: their settings follow one another.
            waiting += [*overlays_read(one), *read_by(one.material), one.variant_of]
            waiting += [v.id for v in self.doc.overlays if v.variant_of == one.id]
        return [found[k] for k in sorted(found)]

    def overlay(self, o: Overlay, recipe: DeliveryRecipe, names: Iterable[str]) -> str:
        """The key of an overlay by a recipe; ``names``: of the files that it may become."""
        rows = self._reached(o, recipe)
        files = {
            p: self._content(p) for p in paths_of(self.doc.model_copy(update={"overlays": tuple(rows), "effects": ()})) if p
        }
        moving = [e.name for e in self.doc.effects if any(p.overlay == o.id for p in e.parts)]
        return self._hashed(
            o.id,
            recipe.model_dump_json(),
            [r.model_dump_json() for r in rows],
            files,
            self._around(),
            self.doc.lighting.blending,
            sorted(names),
            moving,
        )

    def motion(self, sheets: Mapping[str, str]) -> str:
        """The key of all motion files together."""
        meshes = {
            p.emission.mesh: self._content(p.emission.mesh) for e in self.doc.effects for p in e.parts if p.emission.mesh
        }
        effects = [e.model_dump_json() for e in self.doc.effects]
        shown = {p.overlay for e in self.doc.effects for p in e.parts}
        effects += [o.model_dump_json() for o in self.doc.overlays if o.id in shown]
        return self._hashed(effects, self.doc.air.model_dump_json(), dict(sheets), meshes, self._around())

    def stage(self) -> str:
        """The key of the surroundings."""
        return self._hashed("stage", self._around())

    def proof(self, made_of: Mapping[str, Any], recipes: Iterable[DeliveryRecipe]) -> str:
        """The key of a proof sheet, which shows what all the other parts are made of."""
        # By the keys of the parts, which already hold all that these are made of.
        parts = {name: row["key"] for name, row in made_of.items()}
        # Its views show everything, also overlays that are not delivered now.
        files = {p: self._content(p) for p in paths_of(self.doc) if p}
        return self._hashed("proof", parts, self.doc.model_dump_json(), files, [r.model_dump_json() for r in recipes])


class Earlier:
    """What an earlier delivery into a folder was made of.

    Parameters
    ----------
    folder : Path
    listing : mapping or None
        Its ``delivery.json``; whatever is not as it should be counts as changed.
    """

    def __init__(self, folder: Path, listing: Mapping[str, Any] | None) -> None:
        self.folder = folder
        made = listing.get("made_of") if listing is not None else None
        self._rows: dict[str, Any] = dict(made) if isinstance(made, dict) else {}

    def same(self, part: str, key: str) -> dict[str, Any] | None:
        """What is noted of a part, where its key is this one and its files are as they were written."""
        row = self._rows.get(part)
        if not isinstance(row, dict) or row.get("key") != key or not isinstance(row.get("files"), dict) or not row["files"]:
            return None
        for name, held in row["files"].items():
            # A slash in a name would lead out of the folder: the list may come from anywhere.
            if "/" in name or not held or digest_of(self.folder / name) != held:
                return None
        return row

    def delivered(self, row: Planned, key: str) -> Delivered | None:
        """An overlay as it was delivered, if nothing of it has changed."""
        found = self.same(row.overlay.id, key)
        if found is None:
            return None
        try:
            name = row.overlay.name
            table = tuple(
                Compared(
                    name,
                    str(c["file"]),
                    str(c["channel"]),
                    str(c["source"]),
                    ReadBack(tuple(float(v) for v in c["differences"]), int(c["levels"]), fresh=False),
                    int(c["number"]),
                    float(c["low"]),
                    float(c["high"]),
                )
                for c in found["proved"]
            )
            files = tuple(self.folder / str(f) for f in found["pictures"])
            # The sheet itself has to be among what was written; a list without it is no delivery of this overlay.
            if not files or row.sheet.name not in found["files"]:
                return None
            others = (row.geometry,) if row.geometry else ()
            return Delivered(name, files, row.sheet, table, tuple(map(str, found["left_out"])), others)
        except (KeyError, TypeError, ValueError):
            return None


def noted(key: str, digests: Mapping[str, str], done: Delivered | None = None) -> dict[str, Any]:
    """What ``delivery.json`` says of a part."""
    row: dict[str, Any] = {"key": key, "files": dict(sorted(digests.items()))}
    if done is not None:
        row["pictures"] = [p.name for p in done.files]
        row["left_out"] = list(done.left_out)
        row["proved"] = [
            {
                "file": c.file,
                "channel": c.channel,
                "source": str(c.source),
                "differences": list(c.back.differences),
                "levels": c.back.levels,
                "number": c.number,
                "low": c.low,
                "high": c.high,
            }
            for c in done.table
        ]
    return row

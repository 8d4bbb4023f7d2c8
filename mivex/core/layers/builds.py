"""Builds: groups of layers under a name, kept as text files, with some of their settings left open.

A build is a JSON text ``{"build": NAME, "version": 1, "about": …, "kind": …, "open": [{"name", "at"}], "group": {…}}``.
``at`` leads from the group to a setting, as in ``rows.0.mask.parts.0.pattern.seed``. Those that ship with Mivex lie in
its assets, the artist's own in the user's data folder; these come first where names are the same.
"""

import json
import re
from functools import lru_cache
from pathlib import Path
from typing import Any, TypeVar

from pydantic import BaseModel, Field, ValidationError

from mivex.core.base.errors import MivexError, what_is_invalid
from mivex.core.base.messages import InSentence, Message, named, term
from mivex.core.base.paths import read_bytes, shown
from mivex.core.base.settings import OmitDefaultsModel, new_id
from mivex.core.base.store import write_text
from mivex.core.layers.channels import COLOURED
from mivex.core.layers.model import Group, Layer

VERSION = 1
SHIPPED = Path(__file__).parent.parent / "assets" / "builds"
ENDING = ".build.json"


class Knob(OmitDefaultsModel):
    """A setting that is left open."""

    name: str
    at: str


class Build(OmitDefaultsModel):
    """A build file."""

    build: str
    version: int = VERSION
    about: str = ""
    kind: str = "glass"
    open: tuple[Knob, ...] = ()
    group: Group = Field(default_factory=Group)


def user_folder() -> Path:
    """Where the artist's own builds lie."""
    import platformdirs

    return platformdirs.user_data_path("mivex", appauthor=False) / "builds"


def read_build(path: Path) -> Build:
    """Read a build file; raises MivexError with one sentence."""
    what = f"“{shown(path.name)}”"
    raw = read_bytes(path, what="build")
    try:
        data = json.loads(raw.decode("utf-8-sig"))
    except (ValueError, RecursionError):
        raise MivexError(Message("{what} is not a JSON text, or is cut short.", what=term(what))) from None
    if not isinstance(data, dict) or "build" not in data:
        raise MivexError(Message("{what} is not a build.", what=term(what)))
    version = data.get("version", 1)
    if isinstance(version, int) and version > VERSION:
        raise MivexError(
            Message(
                "{what} was saved by a newer Mivex (build {version}; this one reads up to {version2}).",
                what=term(what),
                version=version,
                version2=VERSION,
            )
        )
    try:
        return Build.model_validate(data)
    except ValidationError as e:
        first = e.errors()[0]
        where = ".".join(str(p) for p in first["loc"] if p not in ("layer", "group"))
        raise MivexError(
            Message(
                "{what}: {where}: {text}.",
                what=term(what),
                where=term(where),
                text=what_is_invalid(first),
            )
        ) from None


def all_builds() -> tuple[dict[str, Build], list[str]]:
    """Every build by name, the artist's own before the shipped ones; and a sentence for each that cannot be read."""
    found: dict[str, Build] = {}
    wrong: list[str] = []
    for folder in (SHIPPED, user_folder()):
        for path in sorted(folder.glob(f"*{ENDING}")) if folder.is_dir() else []:
            try:
                b = _read_kept(str(path), path.stat().st_mtime_ns)
                found[b.build] = b
            except MivexError as e:
                wrong.append(str(e))
            except OSError as e:
                wrong.append(Message("“{name}” cannot be read: {e}.", name=shown(path.name), e=term(e)))
    return found, wrong


@lru_cache(128)
def _read_kept(path: str, _changed: int) -> Build:
    return read_build(Path(path))


def build_named(name: str) -> Build:
    """The build of that name; raises MivexError."""
    found, wrong = all_builds()
    if name in found:
        return found[name]
    word = re.sub(r"[^a-z0-9]+", " ", name.lower()).strip()
    for b in found.values():
        if re.sub(r"[^a-z0-9]+", " ", b.build.lower()).strip() == word:
            return b
    more = f" {wrong[0]}" if wrong else ""
    raise MivexError(
        Message(
            "There is no build “{name}” (there are {parts}).{more}",
            name=shown(name),
            parts=named(", ", sorted(found)),
            more=term(more),
        )
    )


def save_build(build: Build, folder: Path | None = None) -> Path:
    """Write a build into the user's folder, atomically; raises MivexError."""
    stem = re.sub(r"[^\w]+", "-", build.build.lower()).strip("-") or "build"
    path = (folder or user_folder()) / f"{stem}{ENDING}"
    try:
        path.parent.mkdir(parents=True, exist_ok=True)
    except OSError as e:
        raise MivexError(
            Message("The build cannot be kept in “{parent}”: {strerror}.", parent=path.parent, strerror=e.strerror or e)
        ) from None
    tree = build.model_dump(mode="json")
    write_text(path, json.dumps({"build": build.build, "version": VERSION, **tree}, indent=1, ensure_ascii=False) + "\n")
    return path


def fresh_ids(row: Layer | Group, names: dict[str, str] | None = None) -> Layer | Group:
    """The same row under new ids, also inside; masks go on reading the rows that they read."""
    first = names is None
    names = {} if names is None else names

    def collect(r: Layer | Group) -> None:
        names[r.id] = new_id()
        for x in r.rows if isinstance(r, Group) else ():
            collect(x)

    if first:
        collect(row)
    parts = tuple(p.model_copy(update={"layer": names.get(p.layer, p.layer)}) if p.layer else p for p in row.mask.parts)
    change: dict[str, Any] = {"id": names[row.id]}
    if parts:
        change["mask"] = row.mask.model_copy(update={"parts": parts})
    if isinstance(row, Group):
        change["rows"] = tuple(fresh_ids(r, names) for r in row.rows)
    return row.model_copy(update=change)


def instance(build: Build) -> Group:
    """A group made from a build."""
    made = fresh_ids(build.group)
    assert isinstance(made, Group)
    return made.model_copy(update={"build": build.build, "name": made.name or build.build})


def _walk(tree: Any, at: str) -> tuple[Any, str]:
    keys = at.split(".")
    for k in keys[:-1]:
        tree = (
            tree[int(k)] if isinstance(tree, list | tuple) else getattr(tree, k) if not isinstance(tree, dict) else tree[k]
        )
    return tree, keys[-1]


def knob_value(group: Group, at: str) -> Any:
    """What an open setting stands at; None where the group no longer has it."""
    try:
        owner, key = _walk(group, at)
        return owner[key] if isinstance(owner, dict) else getattr(owner, key)
    except (KeyError, IndexError, AttributeError, ValueError):
        return None


def has_knob(group: Group, at: str) -> bool:
    """Whether a way leads to a setting that there is: what Mivex does not know is kept in files, but cannot be set."""
    try:
        owner, key = _walk(group, at)
    except (KeyError, IndexError, AttributeError, ValueError, TypeError):
        return False
    return key in (owner if isinstance(owner, dict) else getattr(type(owner), "model_fields", ()))


def with_knob(group: Group, at: str, value: Any) -> Group:
    """The group with an open setting changed; checked again. Raises pydantic's ValidationError."""
    return changed_at(group, at, value)


Model = TypeVar("Model", bound=BaseModel)


def changed_at(model: Model, at: str, value: Any) -> Model:
    """A model with one setting changed, found by a way of names and numbers; raises pydantic's ValidationError."""

    def change(part: Any, keys: list[str]) -> Any:
        key = keys[0]
        if isinstance(part, tuple):
            i = int(key)
            return (*part[:i], change(part[i], keys[1:]), *part[i + 1 :])
        if isinstance(part, dict):
            return {**part, key: change(part[key], keys[1:])}
        if len(keys) == 1:
            kept = {k: getattr(part, k) for k in type(part).model_fields} | (part.model_extra or {})
            return type(part).model_validate(kept | {key: value})
        return part.model_copy(update={key: change(getattr(part, key), keys[1:])})

    made: Model = change(model, at.split("."))
    return made


def brought_up_to_date(group: Group, build: Build) -> Group:
    """A group made anew from its build; its name, mask, strength and open settings stay as they were set."""
    made = instance(build).model_copy(
        update={"id": group.id, "name": group.name, "on": group.on, "strength": group.strength, "mask": group.mask}
    )
    for knob in build.open:
        value = knob_value(group, knob.at)
        if value is not None and knob_value(made, knob.at) is not None:
            made = with_knob(made, knob.at, value)
    return made


def settings_of(group: Group) -> list[Knob]:
    """Every setting of a group that could be left open, in words."""
    rows: list[Knob] = []
    for i, r in enumerate(group.rows):
        name = r.name or Message("Layer {i}", i=i + 1)
        rows.append(Knob(name=Message("{name}: strength", name=name), at=f"rows.{i}.strength"))
        for j, p in enumerate(r.mask.parts):
            if p.pattern is not None:
                for key, info in type(p.pattern).model_fields.items():
                    if key != "kind":
                        rows.append(
                            Knob(
                                name=Message("{name}: {title}", name=name, title=InSentence(info.title or key)),
                                at=Message("rows.{i}.mask.parts.{j}.pattern.{key}", i=i, j=j, key=key),
                            )
                        )
        for channel in r.cells if isinstance(r, Layer) else ():
            key = "colour" if channel in COLOURED else "number"
            rows.append(
                Knob(
                    name=Message("{name}: {channel}", name=name, channel=term(channel)),
                    at=Message("rows.{i}.cells.{channel}.{key}", i=i, channel=term(channel), key=key),
                )
            )
    return rows

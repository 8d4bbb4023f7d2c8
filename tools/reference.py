"""Writes docs/reference.md: commands, settings, findings and keys of JSON, from the program itself.

``python -m tools.reference`` writes the page; a test fails where the page is not what this gives.
"""

import json
import subprocess
import sys
import tempfile
from collections.abc import Iterable, Iterator
from pathlib import Path
from typing import Any, Literal, get_args, get_origin

import numpy as np
import typer
from pydantic import BaseModel
from pydantic.fields import FieldInfo

from mivex.core.picture.encode import write_picture

ROOT = Path(__file__).parent.parent
PAGE = ROOT / "docs" / "reference.md"
HEAD = """# Reference

Written by `python -m tools.reference` from the program itself, so that it says what the program does; what the numbers do
to a picture stands in [recipes](recipes.md), [layers](layers.md), [motion](motion.md), [stage](stage.md) and
[checks](checks.md). A setting that is left out has its default; ranges are what a file may hold.
"""


def _cell(text: object) -> str:
    return str(text).replace("|", "\\|").replace("\n", " ")


def table(head: tuple[str, ...], rows: Iterable[tuple[object, ...]]) -> str:
    """A table in Markdown."""
    lines = ["| " + " | ".join(head) + " |", "|" + "---|" * len(head)]
    return "\n".join([*lines, *("| " + " | ".join(map(_cell, r)) + " |" for r in rows)]) + "\n"


def _range(info: FieldInfo) -> str:
    """What a setting may be: its choices, or its bounds with their unit."""
    extra = info.json_schema_extra if isinstance(info.json_schema_extra, dict) else {}
    kind = info.annotation
    if get_origin(kind) is Literal:
        return ", ".join(f"`{w}`" for w in get_args(kind))
    if kind is bool:
        return "`true`, `false`"
    low = next((getattr(m, k) for m in info.metadata for k in ("ge", "gt") if hasattr(m, k)), None)
    high = next((getattr(m, k) for m in info.metadata for k in ("le", "lt") if hasattr(m, k)), None)
    unit = f" {extra['unit']}" if extra.get("unit") else ""
    if low is not None and high is not None:
        return f"{low:g} to {high:g}{unit}"
    if low is not None or high is not None:
        return (f"from {low:g}" if low is not None else f"up to {high:g}") + unit
    return unit.strip()


def _plain(value: Any) -> Any:
    if isinstance(value, BaseModel):
        return value.model_dump(mode="json")
    return [_plain(v) for v in value] if isinstance(value, tuple | list) else value


def _default(info: FieldInfo) -> str:
    if info.default_factory is not None and info.annotation is str:
        return "one of its own"
    if info.is_required():
        return "must be given"
    text = json.dumps(_plain(info.get_default(call_default_factory=True)), ensure_ascii=False)
    return f"`{text}`" if len(text) <= 44 else "see the program"


def settings(model: type[BaseModel], skip: tuple[str, ...] = ()) -> str:
    """The settings of a model as a table; those of models within it by their dotted names."""
    rows: list[tuple[object, ...]] = []

    def walk(of: type[BaseModel], before: str) -> None:
        for key, info in of.model_fields.items():
            if key in skip and not before:
                continue
            kind = info.annotation
            if isinstance(kind, type) and issubclass(kind, BaseModel) and len(before.split(".")) < 3:
                walk(kind, f"{before}{key}.")
            else:
                rows.append((f"`{before}{key}`", info.description or info.title or "", _range(info), _default(info)))

    walk(model, "")
    return table(("setting", "what", "range", "default"), rows) if rows else "No settings.\n"


def commands() -> Iterator[str]:
    """Every command with its arguments and options."""
    from mivex.cli import app

    def walk(command: Any, name: str) -> Iterator[str]:
        if getattr(command, "commands", None):
            for key, inner in command.commands.items():
                yield from walk(inner, f"{name} {key}")
            return
        yield f"### `{name}`\n\n{(command.help or '').strip()}\n"
        rows = []
        for p in command.params:
            if p.name == "help":
                continue
            option = p.param_type_name == "option"
            name = (getattr(p, "metavar", None) or p.name).upper()
            said = ", ".join(f"`{o}`" for o in (*p.opts, *p.secondary_opts)) if option else f"`{name}`"
            default = p.default() if callable(p.default) else p.default
            shown = "" if default in (None, "", False, (), []) else f"`{default}`"
            rows.append((said, getattr(p, "help", None) or "", shown if option else "must be given" if p.required else ""))
        if rows:
            yield table(("argument or option", "what", "default"), rows)

    yield from walk(typer.main.get_command(app), "mivex")


def steps() -> Iterator[str]:
    """Every preparation step with its settings."""
    from mivex.core.prepare import STEPS

    for key in sorted(STEPS):
        step = STEPS[key]
        yield f"### `{key}`: {step.label}\n\n{step.hint} Station: {step.station}.\n"
        yield settings(step.params, ("step", "on"))


def patterns() -> Iterator[str]:
    """Every pattern of layers with its settings."""
    from mivex.core.layers.patterns import PATTERNS

    for key in sorted(PATTERNS):
        p = PATTERNS[key]
        yield f"### `{key}`: {p.label}\n\n{p.hint}\n"
        yield settings(p.params, ("kind",))


def models() -> Iterator[str]:
    """Settings of glass, tips, lanes and the other records an artist sets."""
    from mivex.core.layers.strokes import Tip
    from mivex.core.material.material import Material
    from mivex.core.motion.model import Effect, Emitter, Life
    from mivex.core.sheet.model import Grid, Sheet

    for title, model, skip in (
        ("Material, with glass, erosion and what a decal changes", Material, ()),
        ("Tip of a brush", Tip, ()),
        ("Sheet", Sheet, ("grids",)),
        ("Grid of a sheet", Grid, ()),
        ("Effect", Effect, ("emitters",)),
        ("Emitter", Emitter, ("life",)),
        ("Lanes of a life", Life, ()),
    ):
        yield f"### {title}\n"
        yield settings(model, skip)


def blends() -> str:
    """The seven blends: their equations, factors and usual settings."""
    from mivex.core.pixels.blends import BLENDS

    head = ("blend", "equation", "colour: source, below", "alpha: source, below", "group", "depth write", "glTF")
    rows = (
        (
            f"`{b.name}`",
            b.equation,
            ", ".join(b.colour_factors),
            ", ".join(b.alpha_factors),
            b.group,
            "yes" if b.writes_depth else "no",
            b.gltf + ("" if b.gltf_exact else ", told in `extras`"),
        )
        for b in BLENDS.values()
    )
    return (
        "## Blends\n\nCs, As: colour and alpha of the overlay in linear light; Cd: what is below. Groups and depth write "
        "are what a blend begins with.\n\n" + table(head, rows)
    )


def findings() -> str:
    """Ids of findings, what they look at, where they are mended."""
    from mivex.core.findings import CHECKS

    rows = [(f"`{c.id}`", c.title, c.scope, c.station) for c in sorted(CHECKS.values(), key=lambda c: c.id)]
    return table(("id", "title", "looks at", "station"), rows)


def _keys(tree: Any, before: str = "") -> Iterator[tuple[str, str]]:
    """Paths of the keys in JSON with the kinds of their values; entries of a list count as one."""
    if isinstance(tree, dict):
        for key, value in tree.items():
            kind = {dict: "object", list: "list", str: "text", bool: "true or false"}.get(type(value), "number")
            yield f"{before}{key}", "nothing" if value is None else kind
            # What goes by names of overlays is one key.
            inner = {"NAME": next(iter(value.values()))} if key in ("nudges", "gains") and value else value
            yield from _keys(inner, f"{before}{key}.")
    elif isinstance(tree, list):
        for value in tree[:40]:
            yield from _keys(value, before.removesuffix(".") + "[]." if before else "[].")


def _merged(trees: Iterable[Any]) -> list[tuple[str, str]]:
    found: dict[str, list[str]] = {}
    for tree in trees:
        for path, kind in _keys(tree):
            kinds = found.setdefault(path, [])
            if kind not in kinds:
                kinds.append(kind)
    return [(f"`{p}`", " or ".join(sorted(k))) for p, k in found.items()]


def example(folder: Path) -> Path:
    """A few overlays of the demo as a project of their own, so that the commands answer soon."""
    from mivex.core.project.file import read_project, relocated, write_project
    from mivex.demo import PROJECT

    doc = relocated(read_project(PROJECT), PROJECT.parent, folder)
    rows = tuple(o for o in doc.overlays if o.id in ("mote", "pane_left", "pane_right"))
    doc = doc.model_copy(update={"overlays": rows, "effects": (), "cameras": doc.cameras[:1]})
    write_project(folder / "example.mivex", doc)
    return folder / "example.mivex"


def json_keys(project: Path) -> Iterator[str]:
    """Keys of what the commands print as JSON, as they come for an example project."""
    for title, arguments in (
        ("mivex ledger PROJECT --at X,Y --json", ("ledger", str(project), "--at", "160,100", "--size", "320x200")),
        ("mivex order PROJECT --json", ("order", str(project))),
        ("mivex check PROJECT --json", ("check", str(project))),
    ):
        done = subprocess.run(
            [sys.executable, "-m", "mivex", *arguments, "--json"], capture_output=True, text=True, check=False, cwd=ROOT
        )
        yield f"### `{title}`\n"
        yield table(("key", "value"), _merged([json.loads(done.stdout)]))

    folder = project.parent
    for k in range(2):
        write_picture(folder / f"f{k}.png", np.full((8, 8, 4), 0.25 + k / 2, np.float32), 8)
    pictures = [str(folder / f"f{k}.png") for k in range(2)]
    subprocess.run(
        [sys.executable, "-m", "mivex", "sheet", "build", str(folder / "sheet.png"), *pictures],
        check=True,
        cwd=ROOT,
        capture_output=True,
    )
    yield "### `NAME.sheet.json`, which `mivex sheet build` writes\n"
    yield table(("key", "value"), _merged([json.loads((folder / "sheet.sheet.json").read_text("utf-8"))]))


def page(project: Path) -> str:
    """The whole page."""
    parts = [
        HEAD,
        "## Commands\n",
        *commands(),
        "## Steps\n",
        *steps(),
        "## Patterns\n",
        *patterns(),
        "## Other settings\n",
        *models(),
        blends(),
        "## Findings\n",
        findings(),
        "## Keys of JSON\n",
        *json_keys(project),
    ]
    return "\n".join(parts)


if __name__ == "__main__":
    with tempfile.TemporaryDirectory() as folder:
        PAGE.write_text(page(example(Path(folder))), encoding="utf-8")

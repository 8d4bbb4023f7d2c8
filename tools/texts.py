"""The texts that reach the window, found in the sources; brings a language's file (Qt's .ts) up to date.

python -m tools.texts            says what each language lacks, and what it has too much; exit 1 if it is behind
python -m tools.texts --update   adds empty entries for what is new, drops what is gone
"""

import ast
import json
import re
import sys
import tomllib
from collections.abc import Iterator
from pathlib import Path
from xml.etree import ElementTree

ROOT = Path(__file__).parent.parent
SOURCES = ROOT / "mivex"
LANGUAGES = SOURCES / "core" / "assets" / "languages"
LEFT_OUT = (
    "demo",
    "kernels",
    "__pycache__",
    "mesh_child.py",
    "compilation.py",
    "desktop_entry.py",
    "theme.py",
    "limit_rules.py",
    "pages.py",
    "shots.py",
    "__main__.py",
    "languages.py",
    "reader",
    "schemas.py",
    "messages.py",
)
"""Files and folders whose texts no window shows."""
QUIET = {
    "getLogger",
    "warning",
    "info",
    "debug",
    "exception",
    "setObjectName",
    "property",
    "setProperty",
    "icon",
    "kernel",
    "Literal",
    "encode",
    "decode",
    "compile",
    "startswith",
    "endswith",
    "removeprefix",
    "removesuffix",
    "replace",
    "split",
    "search",
    "fullmatch",
    "sub",
    "match",
    "findall",
    "getattr",
    "hasattr",
    "setattr",
    "Lazy",
    "QSettings",
    "value",
    "setValue",
    "field",
    "TypeVar",
    "cast",
    "QColor",
    "suppress",
    "NewType",
    "get",
    "pop",
    "ImageOutput",
}
"""Calls whose texts are names, not words."""


NO_WORDS = r"^[#<]|://|^\.\w+$|\\|^Qt\b|%\(\w+\)s|(padding|border|background|weight|align): ?"
"""What paths, patterns and styles are known by."""


def _quiet(tree: ast.AST) -> set[int]:
    """Ids of texts that are documentation, keys, annotations or arguments of quiet calls."""
    found: set[int] = set()

    def hide(node: ast.AST | None) -> None:
        if node is not None:
            found.update(id(n) for n in ast.walk(node))

    for node in ast.walk(tree):
        if isinstance(node, ast.Expr) and isinstance(node.value, ast.Constant):
            found.add(id(node.value))
        elif isinstance(node, ast.Call):
            name = node.func.attr if isinstance(node.func, ast.Attribute) else getattr(node.func, "id", "")
            if name in QUIET:
                for a in node.args:
                    hide(a)
            for k in node.keywords:
                if k.arg in ("help", "merge", "metavar"):
                    hide(k)
        elif isinstance(node, ast.AnnAssign | ast.arg):
            hide(node.annotation)
        elif isinstance(node, ast.FunctionDef | ast.AsyncFunctionDef):
            hide(node.returns)
        elif isinstance(node, ast.Dict):
            for key in node.keys:
                if isinstance(key, ast.Constant):
                    found.add(id(key))
        elif isinstance(node, ast.Subscript):
            hide(node.slice)
        elif isinstance(node, ast.Compare):
            for part in (node.left, *node.comparators):
                hide(part)
        elif isinstance(node, ast.JoinedStr):
            hide(node)  # what is shown is a Message
    return found


def worded(text: str) -> bool:
    """Whether a text is words that a person reads, and no name that a program does."""
    plain = re.sub(r"\{[^{}]*\}", "", text)
    if not re.search(r"[A-Za-z]{2}", plain) or re.search(NO_WORDS, plain):
        return False
    if plain != text and " " in text:
        return bool(re.search(r"[A-Za-z]{3}|\b[a-z]{2} ", plain))
    if " " in plain.strip():
        return not re.fullmatch(r"[\w.,:;=+*/()\[\]{}<>|-]+ [=<>|+*/&]+ .*", plain) and "{ " not in plain
    return bool(re.fullmatch(r"[“(]?[A-Z][a-zé-]+[.…”):?]?", plain.strip()))


WORDED = {"term", "joined", "named", "InSentence"}
"""Calls whose texts are words however short they are."""


def found_in(path: Path) -> Iterator[str]:
    """The texts of one module."""
    tree = ast.parse(path.read_text("utf-8"))
    quiet = _quiet(tree)
    for node in ast.walk(tree):
        if isinstance(node, ast.Call):
            # Units are single words.
            name = getattr(node.func, "id", "")
            units = [k.value for k in node.keywords if k.arg == "unit"] + (node.args[3:4] if name == "Finding" else [])
            yield from (str(u.value) for u in units if isinstance(u, ast.Constant) and len(str(u.value)) > 2)
        if isinstance(node, ast.Call) and getattr(node.func, "id", "") in WORDED and node.args:
            said = [n.value for n in ast.walk(node.args[0]) if isinstance(n, ast.Constant) and id(n) not in quiet]
            yield from (s for s in said if isinstance(s, str) and re.search(r"[A-Za-z]{2}", s))
        if id(node) not in quiet and isinstance(node, ast.Constant) and isinstance(node.value, str) and worded(node.value):
            yield node.value


SMALL = (
    "birth",
    "death",
    "changed",
    "untouched",
    "touched",
    "yes",
    "no",
    "colour",
    "data",
    "dark",
    "bright",
    "light",
    "to",
    "seed",
    "hidden",
    "drawn",
    "nothing",
    "up",
    "down",
    "across",
    "straight",
    "Full speed",
    "Half",
    "A quarter",
    "A tenth",
    "frame",
    "size",
    "opacity",
    "speed",
    "spin",
    "material",
    "effect",
    "sorted",
    "blends",
    "mask",
    "number",
    "factors",
    "group {0}",
    "a fragment",
    "lit",
    "written",
    "tested",
    "top",
    "bottom",
    "left",
    "right",
    "yaw",
    "pitch",
    "split",
    "dock",
    "picture",
    "mesh",
    "build",
    "project",
    "result",
    "file",
    "recipe",
    "crate",
    "bow",
    "hull",
    "floor",
    "dark wall",
    "bright wall",
    "Metal, roughness",
    "Metal, occlusion, –, smoothness",
    "Occlusion, roughness, metal",
    "Roughness, metal, occlusion",
)
"""Single words that the window puts together itself."""


def texts() -> list[str]:
    """Every text of the sources, each once, in the order of the modules."""
    found: dict[str, None] = dict.fromkeys(SMALL)
    for path in sorted(SOURCES.rglob("*.py")):
        if not set(path.relative_to(SOURCES).parts) & set(LEFT_OUT):
            found.update(dict.fromkeys(found_in(path)))
    assets = SOURCES / "core" / "assets"
    for data, keys in (
        (tomllib.loads((assets / "pages" / "lessons.toml").read_text("utf-8")), ("why", "avoid")),
        (json.loads((assets / "effects" / "starters.json").read_text("utf-8")), ("title", "what")),
        (json.loads((assets / "recipes" / "stock.json").read_text("utf-8")), ("name",)),
    ):
        for part in data.values():
            found.update(dict.fromkeys(str(part[k]) for k in keys))
    return list(found)


def read(path: Path) -> dict[str, str]:
    """What a language says for each text; empty: nothing yet."""
    tree = ElementTree.parse(path)
    return {row.findtext("source") or "": row.findtext("translation") or "" for row in tree.iter("message")}


def write(path: Path, said: dict[str, str]) -> None:
    """Write a language's file, in the order of the sources."""
    root = ElementTree.Element("TS", version="2.1", language=path.stem, sourcelanguage="en")
    context = ElementTree.SubElement(root, "context")
    ElementTree.SubElement(context, "name").text = "Mivex"
    for text in texts():
        row = ElementTree.SubElement(context, "message")
        ElementTree.SubElement(row, "source").text = text
        target = ElementTree.SubElement(row, "translation", *([] if said.get(text) else [{"type": "unfinished"}]))
        target.text = said.get(text, "")
    ElementTree.indent(root, " ")
    body = ElementTree.tostring(root, encoding="unicode")
    path.write_text(f'<?xml version="1.0" encoding="utf-8"?>\n<!DOCTYPE TS>\n{body}\n', "utf-8")


def main() -> None:
    """Say what each language lacks, or bring its file up to date."""
    behind = False
    for path in sorted(LANGUAGES.glob("*.ts")):
        said, wanted = read(path), texts()
        lacks = [t for t in wanted if not said.get(t)]
        gone = [t for t in said if t not in set(wanted)]
        print(f"{path.stem}: {len(wanted)} texts, {len(lacks)} without words, {len(gone)} no longer used")
        if "--update" in sys.argv:
            write(path, said)
        elif list(said) != wanted:
            print(f"{path.stem}: not in the order of the sources; run python -m tools.texts --update")
        behind |= bool(lacks) or list(read(path)) != wanted
    sys.exit(behind)


if __name__ == "__main__":
    main()

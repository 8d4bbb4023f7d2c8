"""What the contracts of the imports cannot see: modules named by texts, kernels, and the page that describes the floors."""

import ast
import re
import tomllib
from pathlib import Path

ROOT = Path(__file__).parent.parent
SOURCES = sorted((ROOT / "mivex").rglob("*.py"))
CONTRACTS = tomllib.loads((ROOT / "pyproject.toml").read_text())["tool"]["importlinter"]["contracts"]
FLOORS = next(c["layers"] for c in CONTRACTS if c.get("containers") == ["mivex.core"])
"""Rooms of the core, the highest first."""


def module(path):
    """The dotted name of a file."""
    return ".".join(path.relative_to(ROOT).with_suffix("").parts).removesuffix(".__init__")


def room(name):
    """The room of the core that a module stands in; "" for others."""
    parts = name.split(".")
    return parts[2] if parts[:2] == ["mivex", "core"] and len(parts) > 2 else ""


def named_by_text(path):
    """Modules that are imported by a text: the lazy loader's, and the standard library's."""
    for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
        if isinstance(node, ast.Call) and node.args and isinstance(node.args[0], ast.Constant):
            called = node.func.attr if isinstance(node.func, ast.Attribute) else getattr(node.func, "id", "")
            if called in ("Lazy", "import_module", "__import__"):
                yield node.args[0].value


def test_modules_that_are_loaded_late_obey_the_floors_too():
    seen = 0
    for path in SOURCES:
        mine = room(module(path))
        for target in named_by_text(path):
            if not target.startswith("mivex."):
                assert not target.startswith("PySide6") or not mine, (path, target)
                continue
            seen += 1
            there = ROOT / Path(*target.split("."))
            assert there.with_suffix(".py").exists() or there.is_dir(), (path, target)
            if mine:
                assert room(target) in FLOORS and FLOORS.index(room(target)) >= FLOORS.index(mine), (path, target)
    assert seen > 40


def test_kernels_import_kernels_and_nothing_else_of_mivex():
    found = [p for p in SOURCES if "kernels" in p.parts]
    assert len(found) > 30
    for path in found:
        for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
            names = (
                [a.name for a in node.names]
                if isinstance(node, ast.Import)
                else ([node.module or ""] if isinstance(node, ast.ImportFrom) else [])
            )
            for name in names:
                outside = name.split(".")[0] in ("numpy", "math", "heapq", "numba", "llvmlite")
                small = name.removeprefix("mivex.core.base.") in ("compile", "types")
                assert outside or small or re.match(r"mivex\.core\.[\w.]+\.kernels\.", name), (path, name)


def test_every_room_is_a_folder_and_says_what_it_is_for():
    folders = {p.name for p in (ROOT / "mivex" / "core").iterdir() if (p / "__init__.py").exists()}
    assert folders == set(FLOORS)
    assert [p.name for p in (ROOT / "mivex" / "core").glob("*.py")] == ["__init__.py"]
    for name in folders:
        text = ast.get_docstring(ast.parse((ROOT / "mivex" / "core" / name / "__init__.py").read_text(encoding="utf-8")))
        assert text and text.endswith((".", "`")), name


def test_the_page_about_the_structure_names_the_floors_in_their_order():
    page = (ROOT / "docs" / "architecture.md").read_text(encoding="utf-8")
    rows = re.findall(r"^\| `(\w+)/` \|", page, re.M)
    assert rows == FLOORS
    for name in FLOORS:
        assert f">{name}<" in (ROOT / "docs" / "architecture.svg").read_text(encoding="utf-8")

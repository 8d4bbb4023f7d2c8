"""Draws docs/architecture.svg, the floors of the core, from the import contracts in pyproject.toml.

``python -m tools.architecture``. A test fails where the picture or the page names other floors than the contracts.
"""

import ast
import tomllib
from pathlib import Path
from xml.sax.saxutils import escape

ROOT = Path(__file__).parent.parent
WIDE, HIGH, LEFT = 560, 30, 128


def floors() -> list[tuple[str, str]]:
    """Rooms of the core, the highest first, each with the first sentence of its docstring."""
    contracts = tomllib.loads((ROOT / "pyproject.toml").read_text())["tool"]["importlinter"]["contracts"]
    rows = next(c["layers"] for c in contracts if c.get("containers") == ["mivex.core"])
    found = []
    for name in rows:
        tree = ast.parse((ROOT / "mivex" / "core" / name / "__init__.py").read_text(encoding="utf-8"))
        found.append((name, (ast.get_docstring(tree) or "").split("\n")[0]))
    return found


def picture() -> str:
    """The picture as SVG: commands and window above, rooms one over the other, imports pointing down."""
    rows = [
        ("cli", "Commands: arguments in, sentences and exit codes out."),
        ("ui", "The window: shell, stations, proofs, tools, fields, session."),
        *floors(),
    ]
    out = [
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {LEFT + WIDE + 40} {HIGH * len(rows) + 20}" '
        'font-family="sans-serif" font-size="12">',
        f'<rect width="{LEFT + WIDE + 40}" height="{HIGH * len(rows) + 20}" fill="#f4f4f2"/>',
    ]
    for k, (name, words) in enumerate(rows):
        y, fill = 10 + HIGH * k, "#c9d6df" if k < 2 else "#dfe4d6" if name not in ("base", "pixels") else "#e6ddd0"
        out.append(f'<rect x="10" y="{y}" width="{LEFT - 20}" height="{HIGH - 6}" rx="3" fill="{fill}" stroke="#888"/>')
        out.append(f'<text x="{LEFT / 2}" y="{y + 16}" text-anchor="middle">{name}</text>')
        out.append(f'<text x="{LEFT}" y="{y + 16}" fill="#333">{escape(words.replace("``", ""))}</text>')
    x, low = LEFT + WIDE + 22, 10 + HIGH * len(rows) - 8
    out.append(f'<path d="M{x} 14V{low}m-5 -8l5 8l5 -8" fill="none" stroke="#555" stroke-width="1.5"/>')
    return "\n".join([*out, "</svg>", ""])


if __name__ == "__main__":
    (ROOT / "docs" / "architecture.svg").write_text(picture(), encoding="utf-8")

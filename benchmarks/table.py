"""The table of what was measured: three runs of each benchmark, with the commit, and what has become worse.

A ratio is worse where it lies above the one before by more than both have spread over their three runs.
"""

import json
import subprocess
from collections.abc import Sequence
from pathlib import Path
from statistics import median
from typing import Any

from benchmarks.timing import Figure

ROOT = Path(__file__).parent.parent
STORE = Path(__file__).parent / "measured.json"
PAGE = ROOT / "docs" / "performance.md"
BEGIN, END = "<!-- measured: written by make bench -->", "<!-- end of what is measured -->"


def commit() -> str:
    """The commit that is measured, with a plus where files differ from it."""

    def told(*args: str) -> str:
        return subprocess.run(["git", *args], cwd=ROOT, capture_output=True, text=True, check=False).stdout.strip()

    return told("rev-parse", "--short", "HEAD") + ("+" if told("status", "--porcelain", "mivex", "benchmarks") else "")


def merged(before: dict[str, Any], name: str, runs: Sequence[Sequence[Figure]], at: str) -> dict[str, Any]:
    """What is known after some runs of one benchmark.

    Parameters
    ----------
    before : dict
        What was known: by benchmark, then by what was measured.
    name : str
    runs : sequence of runs, each a sequence of Figure
    at : str
        The commit.
    """
    rows: dict[str, Any] = {}
    names = [f.what for f in runs[0]]
    for k, f in enumerate(runs[0]):
        # What is measured against several baselines has a line for each.
        what = f.what if names.count(f.what) == 1 else f"{f.what}, {k + 1 - names.index(f.what)}"
        ratios = sorted(run[k].ours / run[k].theirs for run in runs)
        row = {
            "ours": round(median(run[k].ours for run in runs), 1),
            "baseline": f.baseline,
            "theirs": round(median(run[k].theirs for run in runs), 1),
            "ratio": round(median(ratios), 3),
            "spread": round(ratios[-1] - ratios[0], 3),
            "aim": f.aim,
            "commit": at,
        }
        old = before.get(name, {}).get(what)
        if old is not None and old["baseline"] == f.baseline:
            row["before"] = old["ratio"]
            row["worse"] = row["ratio"] - old["ratio"] > max(row["spread"], old["spread"], 0.005)
        rows[what] = row
    return before | {name: rows}


def words(known: dict[str, Any]) -> str:
    """The table as it stands in the page."""
    out = []
    for name, rows in sorted(known.items()):
        out += [
            f"### {name}",
            "",
            "| what | Mivex | baseline in the same run | ratio | before | aim | commit |",
            "|---|---|---|---|---|---|---|",
        ]
        for what, r in rows.items():
            ratio = f"{r['ratio']:.2f} ± {r['spread'] / 2:.2f}" + (" **worse**" if r.get("worse") else "")
            was = f"{r['before']:.2f}" if "before" in r else "–"
            other = f"{r['baseline']}: {r['theirs']:g} ms"
            out.append(f"| {what} | {r['ours']:g} ms | {other} | {ratio} | {was} | {r['aim']} | {r['commit']} |")
        out.append("")
    return "\n".join(out)


def write(known: dict[str, Any]) -> None:
    """Keep what is known, and put its table into the page."""
    STORE.write_text(json.dumps(known, indent=1, ensure_ascii=False) + "\n", encoding="utf-8")
    page = PAGE.read_text(encoding="utf-8")
    head, rest = page.split(BEGIN)
    _, tail = rest.split(END)
    PAGE.write_text(f"{head}{BEGIN}\n\n{words(known)}\n{END}{tail}", encoding="utf-8")


def known() -> dict[str, Any]:
    """What was measured before."""
    return json.loads(STORE.read_text(encoding="utf-8")) if STORE.exists() else {}

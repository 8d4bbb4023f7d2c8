"""The lessons as a document with pictures: ``python -m mivex.core.lessons.pages [FOLDER]`` writes ``docs/findings.md``."""

import sys
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.store import write_text
from mivex.core.findings import CHECKS
from mivex.core.lessons.model import HIGH, WIDE, Lesson, lessons
from mivex.core.picture.encode import write_picture

GAP = 12
SCOPES = {"texture": "Textures", "sheet": "Sheets", "scene": "The scene", "motion": "Motion"}


def pair(lesson: Lesson) -> NDArray[np.uint8]:
    """Codes of the bad picture at the left and the good one at the right."""
    out = np.full((HIGH, 2 * WIDE + GAP, 3), 255, np.uint8)
    out[:, :WIDE], out[:, WIDE + GAP :] = lesson.case(False).picture(), lesson.case(True).picture()
    return out


def text(found: str, lesson: Lesson) -> str:
    """A lesson's section."""
    return (
        f"### {lesson.title}\n\n`{lesson.id}`\n\n![Left: with the fault. Right: without.](findings/{lesson.id}.png)\n\n"
        f"*{found}*\n\n{lesson.why}\n\n**How to avoid it.** {lesson.avoid}\n"
    )


def write_pages(folder: str | Path) -> list[Path]:
    """Write ``findings.md`` and a picture for each lesson into a folder; returns the files."""
    folder = Path(folder)
    (folder / "findings").mkdir(parents=True, exist_ok=True)
    done: list[Path] = []
    parts = [
        "# Findings, one by one\n\nEach with a small case that has the fault (left) and one that has not (right), "
        "both "
        "computed by Mivex itself, and in italics what it says of the left one. The same pages are opened in the "
        "window "
        "from the tray. Formulas and limits stand in [checks](checks.md).\n"
    ]
    for scope, words in SCOPES.items():
        parts.append(f"## {words}\n")
        for lesson in lessons().values():
            if CHECKS[lesson.id].scope != scope:
                continue
            path = folder / "findings" / f"{lesson.id}.png"
            write_picture(path, (pair(lesson) / 255).astype(np.float32), 8)
            done.append(path)
            found = lesson.found()
            parts.append(text(found.message if found else "", lesson))
    write_text(folder / "findings.md", "\n".join(parts))
    return [folder / "findings.md", *done]


if __name__ == "__main__":
    print(len(write_pages(sys.argv[1] if len(sys.argv) > 1 else "docs")), "files")

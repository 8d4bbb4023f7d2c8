"""A folder of pictures at a glance: what is found in each, without a project."""

import os
from dataclasses import dataclass
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.log import sentence
from mivex.core.checking.batch import texture_of
from mivex.core.findings import Finding, Subject, examine
from mivex.core.findings.ignoring import digest_of
from mivex.core.picture.files import read_picture
from mivex.core.picture.formats import READABLE
from mivex.core.project.document import Ignored
from mivex.core.proof.flat import FlatView
from mivex.core.proof.layouts import draw_flat

MOST = 20_000
"""Pictures that are listed; what lies beyond is said."""


@dataclass(frozen=True, eq=False)
class FolderRow:
    """One picture.

    Attributes
    ----------
    path : str
        The whole path.
    name : str
        Below the folder.
    width, height : int
    findings : tuple of Finding
        As `examine` gives them.
    digest : str
        Of the file, so that a changed picture is known.
    thumb : uint8 array (h, w, 3), optional
        Over a checker.
    problem : str
        Why it could not be examined; empty if it could.
    """

    path: str
    name: str
    width: int = 0
    height: int = 0
    findings: tuple[Finding, ...] = ()
    digest: str = ""
    thumb: NDArray[np.uint8] | None = None
    problem: str = ""

    def counted(self, ignored: Ignored | None) -> list[Finding]:
        """Findings that count: likely, not due to another, and not ignored."""
        names = ignored.findings if ignored is not None and ignored.digest == self.digest else ()
        return [f for f in self.findings if f.certainty == "likely" and not f.under and f.id not in names]

    def badness(self, ignored: Ignored | None) -> tuple[float, float]:
        """By what rows are ordered, the worst first: what counts, then what is possible; a broken picture before all."""
        if self.problem:
            return (-np.inf, 0.0)
        return (
            -sum(f.weight + 1e-3 for f in self.counted(ignored)),
            -sum(f.weight + 1e-3 for f in self.findings if f.certainty == "possible"),
        )


def pictures_in(folder: str | Path) -> list[Path]:
    """Every picture file below a folder, by name; hidden folders, bakes, and links to folders are left out."""
    found: list[Path] = []
    for root, folders, files in os.walk(folder):
        # What a project has baked is no art.
        folders[:] = sorted(f for f in folders if not f.startswith(".") and not f.endswith(".bakes"))
        found += [Path(root) / f for f in sorted(files) if Path(f).suffix.lower() in READABLE and not f.startswith(".")]
        if len(found) > MOST:
            break
    return found[: MOST + 1]


def look_at_picture(path: Path, folder: Path, side: int) -> FolderRow:
    """Read and examine one picture, and draw it fitted into a square of ``side`` pixels; never raises."""
    name = os.path.relpath(path, folder)
    try:
        picture = read_picture(path)
        texture = texture_of(picture)
        found = tuple(examine(Subject(name, texture, stored_premultiplied=picture.premultiplied)))
        zoom = side / max(texture.width, texture.height)
        view = FlatView(
            zoom=zoom, left=(side - texture.width * zoom) / 2, top=(side - texture.height * zoom) / 2, backdrop="checker"
        )
        return FolderRow(
            str(path),
            name,
            texture.width,
            texture.height,
            found,
            digest_of(path),
            draw_flat(texture, view, side, side),
        )
    except Exception as e:
        return FolderRow(str(path), name, problem=sentence(e, f"examining {str(path)!r}"))

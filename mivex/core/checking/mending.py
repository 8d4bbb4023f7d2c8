"""Mending all that is sure: repairs of likely findings that change nothing that is seen at full size.

A repair is taken where it only adds steps, keeps the picture's size, and changes no pixel by more than `SEEN` codes of 255
over black, middle grey and white. What it cures shows at a distance, in filtering, or in what it costs.
"""

from collections.abc import Callable
from dataclasses import dataclass
from pathlib import Path
from typing import Any

import numpy as np

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message
from mivex.core.base.store import check_folder
from mivex.core.deliver.deliver import write_texture
from mivex.core.findings import Subject, examine
from mivex.core.findings.finding import Finding
from mivex.core.picture.files import read_picture
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import to_display, to_linear
from mivex.core.prepare.base import StepParams
from mivex.core.project.document import Document, Source
from mivex.core.project.edits import AddSteps, set_steps
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import read_project, relocated, write_project

SEEN = 2.0
"""Codes of 255 up to which a change is not seen."""
ROUNDS = 6
"""A repair may bring out what another then mends; more rounds than this say that they undo each other."""


@dataclass(frozen=True)
class Mended:
    """One repair that was taken: the finding's id, what the repair is called, and what it changes at most, of 255."""

    id: str
    label: str
    changed: float


def seen_change(before: Texture, after: Texture) -> float:
    """What differs at level 0 over black, middle grey and white.

    Returns
    -------
    float, the largest difference of any channel, of 255; infinite where the sizes differ.
    """
    if before.values.shape[:2] != after.values.shape[:2] or before.premultiplied != after.premultiplied:
        return float("inf")
    if before.values is after.values:
        return 0.0
    a, b = before.values, after.values
    rows, cols = np.nonzero((a != b).any(axis=2))
    if rows.size == 0:
        return 0.0
    box = np.s_[rows.min() : rows.max() + 1, cols.min() : cols.max() + 1]
    a, b = a[box], b[box]
    data, worst = before.meaning == "data", 0.0
    for level in (0.0, 0.5, 1.0):
        seen = []
        for v in (a, b):
            rgb, alpha = v[..., :3], v[..., 3:]
            behind = np.float32(level)
            if data:
                seen.append(rgb * alpha + behind * (1 - alpha))
            else:
                back = to_linear(np.full(1, behind, np.float32))
                seen.append(to_display(np.clip(to_linear(np.ascontiguousarray(rgb)) * alpha + back * (1 - alpha), 0, 1)))
        worst = max(worst, float(np.abs(seen[0] - seen[1]).max()) * 255)
    return worst


def sure_steps(
    subject_of: Callable[[tuple[StepParams, ...]], Subject], steps: tuple[StepParams, ...]
) -> tuple[tuple[StepParams, ...], list[Mended]]:
    """Add the steps of every repair that is sure.

    Parameters
    ----------
    subject_of : callable
        Gives the subject with some steps.
    steps : tuple of StepParams
        Those that it has.

    Returns
    -------
    steps : tuple of StepParams
        With those that were added.
    taken : list of Mended
    """
    taken: list[Mended] = []
    for _ in range(ROUNDS):
        subject = subject_of(steps)
        added = _first_sure(subject, subject_of, steps)
        if added is None:
            break
        finding, changed = added
        assert finding.repair is not None
        steps = (*steps, *finding.repair.steps)
        taken.append(Mended(finding.id, finding.repair.label, changed))
    return steps, taken


def _first_sure(
    subject: Subject, subject_of: Callable[[tuple[StepParams, ...]], Subject], steps: tuple[StepParams, ...]
) -> tuple[Finding, float] | None:
    # Those that another causes, too: their own repair may be sure where the other's is not.
    for finding in (f for f in examine(subject) if f.certainty == "likely"):
        repair = finding.repair
        if repair is None or not repair.edits or not all(isinstance(e, AddSteps) for e in repair.edits):
            continue
        after = subject_of((*steps, *repair.steps))
        changed = seen_change(subject.texture, after.texture)
        cured = all(f.id != finding.id or f.certainty != "likely" for f in examine(after))
        if changed <= SEEN and cured:
            return finding, changed
    return None


def mend_document(
    doc: Document,
    evaluator: Evaluator,
    stop: Callable[[], bool] = lambda: False,
    tell: Callable[[str], object] = lambda _: None,
) -> tuple[dict[str, tuple[StepParams, ...]], dict[str, list[Mended]]]:
    """Find what is sure to mend in a project; ``stop`` is asked and ``tell`` told before each overlay.

    Returns
    -------
    steps : dict of str to tuple of StepParams
        The recipe of each overlay that is mended, by its id.
    taken : dict of str to list of Mended
        What was done, by the overlay's id.
    """
    made, done = {}, {}
    for o in doc.overlays:
        if not o.source.ready or stop():
            continue
        tell(Message("Looking what is sure to mend on “{name}”", name=o.name))

        def subject_of(steps: tuple[StepParams, ...], o=o) -> Subject:  # type: ignore[no-untyped-def]
            now = o.model_copy(update={"steps": steps})
            return Subject.of(now, evaluator.texture(now, doc, stop=stop))

        try:
            steps, taken = sure_steps(subject_of, o.steps)
        except MivexError:
            continue  # it cannot be read; its own finding or notice says so
        if taken:
            made[o.id], done[o.id] = steps, taken
    return made, done


def mend_project(path: str, folder: Path) -> list[dict[str, Any]]:
    """Write a mended copy of a project into a folder, its files named where they lie; nothing where nothing is sure."""
    whole = Path(path).resolve()
    doc = read_project(path)
    evaluator = Evaluator(whole.parent)
    steps, taken = mend_document(doc, evaluator)
    if not taken:
        return []
    check_folder(folder)
    folder.mkdir(parents=True, exist_ok=True)
    for key, rows in steps.items():
        doc = set_steps(doc, key, rows)
    out = folder / whole.name
    _refuse_itself(whole, out)
    write_project(out, relocated(doc, whole.parent, folder.resolve()))
    return [
        {"path": path, "overlay": o.name, "out": str(out), "mended": _rows(taken[o.id])}
        for o in doc.overlays
        if o.id in taken
    ]


def _rows(taken: list[Mended]) -> list[dict[str, Any]]:
    return [{"id": m.id, "label": m.label, "changed": round(m.changed, 3)} for m in taken]


def _refuse_itself(source: Path, out: Path) -> None:
    """A copy never replaces what it was made from; raises MivexError."""
    if out.exists() and out.samefile(source):
        raise MivexError(Message("“{name}” would be written over itself; choose another folder.", name=source.name))


def mend_picture(path: str, folder: Path, taken_names: set[Path]) -> dict[str, Any] | None:
    """Write a mended copy of a picture into a folder; None where nothing is sure.

    ``taken_names`` are the files that this run has written: another picture of the same name gets a number, and the next
    run writes the same names again.

    Returns
    -------
    dict with ``path``, ``out`` and ``mended``: a list of ``id``, ``label`` and ``changed`` (of 255).
    """
    picture = read_picture(path)
    evaluator = Evaluator(Path(path).resolve().parent)
    bits = 16 if picture.bits > 8 else 8

    def subject_of(steps: tuple[StepParams, ...]) -> Subject:
        return Subject(path, evaluator.prepare(picture, Source(path=path), steps, bits), steps=steps)

    steps, taken = sure_steps(subject_of, ())
    if not taken:
        return None
    check_folder(folder)
    folder.mkdir(parents=True, exist_ok=True)
    suffix = Path(path).suffix.lower()
    stem, number = Path(path).stem, 2
    out = folder / f"{stem}{suffix if suffix in ('.png', '.tga', '.tif', '.tiff') else '.png'}"
    while out in taken_names:
        out, number = folder / f"{stem}_{number}{out.suffix}", number + 1
    taken_names.add(out)
    _refuse_itself(Path(path), out)
    texture = subject_of(steps).texture
    write_texture(str(out), texture, alpha=texture.has_alpha)
    return {"path": path, "out": str(out), "mended": _rows(taken)}

"""Figures and findings of pictures and projects, as the command line prints them."""

import contextlib
import multiprocessing
import os
import threading
from collections.abc import Callable, Iterator
from concurrent.futures import ProcessPoolExecutor
from concurrent.futures.process import BrokenProcessPool
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

from pydantic import BaseModel

from mivex.core.base.bands import WORKERS, one_core
from mivex.core.base.log import sentence
from mivex.core.base.paths import shown
from mivex.core.checking.judging import by_limits
from mivex.core.evaluation.results import scene_subject
from mivex.core.findings import Finding, MotionSubject, Repair, Subject, examine, examine_motion, examine_scene
from mivex.core.findings.ignoring import ignored_in, settled
from mivex.core.intake.switches import as_received, document_as_received, normal_maps
from mivex.core.picture.files import read_picture
from mivex.core.picture.picture import Picture, guess_meaning
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Source
from mivex.core.project.edits import SetFields, SetPart
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import read_project
from mivex.core.project.layering import bakes_folder
from mivex.core.project.receiver import Receiver, receiver_named
from mivex.core.scene.draw_calls import build_environment, load_scene_inputs


@dataclass
class Report:
    """What was found in one picture or project; JSON-ready rows.

    Attributes
    ----------
    path : str
        As it was given.
    pictures, findings : list of dict
    problem : str
        Why it could not be examined; empty if it could.
    """

    path: str
    pictures: list[dict[str, Any]] = field(default_factory=list)
    findings: list[dict[str, Any]] = field(default_factory=list)
    problem: str = ""


def figures(subject: Subject, picture: Picture, name: dict[str, str]) -> dict[str, Any]:
    """Size, alpha and fringe of one texture."""
    t = subject.texture
    a = t.alpha
    return {
        **name,
        "width": t.width,
        "height": t.height,
        "channels": picture.channels,
        "bits": picture.bits,
        "holds": t.meaning,
        "stored": "premultiplied" if picture.premultiplied else "straight",
        "alpha": {"minimum": float(a.min()), "maximum": float(a.max()), "mean": round(float(a.mean(dtype="float64")), 9)},
        "fringe": [
            {
                "level": r.level,
                "width": r.width,
                "height": r.height,
                "maximum": round(r.maximum, 4),
                "p99": round(r.p99, 4),
                "mean": round(r.mean, 4),
                "shows": round(r.shows, 4),
            }
            for r in subject.fringes
        ],
    }


def repair_row(repair: Repair) -> dict[str, Any]:
    """A repair: its steps as ``prepare`` takes them, and whatever else it sets."""
    row: dict[str, Any] = {"label": repair.label, "steps": [s.model_dump(mode="json") for s in repair.steps]}
    for e in repair.edits:
        if isinstance(e, SetPart):
            row.setdefault("effect", []).append(
                {
                    "effect": e.effect,
                    "part": e.part,
                    "group": e.group,
                    "values": {k: v.model_dump(mode="json") if isinstance(v, BaseModel) else v for k, v in e.values},
                }
            )
    row |= {
        e.part: {k: v.model_dump(mode="json") if isinstance(v, BaseModel) else v for k, v in e.values}
        for e in repair.edits
        if isinstance(e, SetFields)
    }
    if repair.cost is not None:
        row["cost"] = {"largest": round(repair.cost.figure, 2), "share": round(repair.cost.share, 4)}
    return row


def finding_row(finding: Finding, name: dict[str, str]) -> dict[str, Any]:
    """A finding; ``name`` says of what."""
    return {
        "id": finding.id,
        **name,
        "figure": round(finding.figure, 4),
        "unit": finding.unit,
        "weight": round(finding.weight, 4),
        "certainty": finding.certainty,
        **({"under": finding.under} if finding.under else {}),
        "message": finding.message,
        "why": finding.why,
        "place": list(finding.place) if finding.place else None,
        "repair": repair_row(finding.repair) if finding.repair else None,
        "details": finding.details,
    }


def texture_of(picture: Picture) -> Texture:
    """A picture on its own as a texture: what it holds is guessed, its depth kept where that can be."""
    meaning = guess_meaning(picture)[0]
    bits = 16 if picture.bits > 8 else 8
    if picture.bits == bits:
        return Texture(picture.values, meaning, bits=bits, has_alpha=picture.has_alpha)
    return Evaluator(limit=0).prepare(picture, Source(path=picture.path, meaning=meaning), (), bits)


def _picture(report: Report, receiver: str) -> None:
    picture = read_picture(report.path)
    r = receiver_named(receiver) if receiver else Receiver()
    seen = as_received(texture_of(picture), r.switches, r.longest)
    subject = Subject(report.path, seen, stored_premultiplied=picture.premultiplied)
    name = {"path": report.path}
    report.findings = [finding_row(f, name) for f in examine(subject)]
    report.pictures.append(figures(subject, picture, name))


def _project(report: Report, receiver: str) -> None:
    doc = read_project(report.path)
    r = receiver_named(receiver, doc.receivers) if receiver else Receiver()
    doc = document_as_received(doc, r.switches)
    normals = normal_maps(doc)
    evaluator = Evaluator(Path(report.path).resolve().parent)
    evaluator.bakes = bakes_folder(Path(report.path).resolve())
    for o in doc.overlays:
        if not o.source.ready:
            continue
        name = {"overlay": o.name}
        try:
            texture = as_received(evaluator.texture(o, doc), r.switches, r.longest, normals=o.id in normals)
            subject = Subject.of(o, texture)
            row = ignored_in(doc, evaluator.folder, o.source.path) if doc.ignored and o.source.path else None
            report.findings += [finding_row(f, name) for f in settled(examine(subject), row)]
            report.pictures.append({**name, **figures(subject, evaluator.start_of(o), {"path": o.source.path})})
        except Exception as e:
            report.pictures.append({**name, "path": o.source.path, "problem": sentence(e, f"examining {o.name!r}")})
    if doc.cameras and not any("problem" in p for p in report.pictures):
        loaded, meshes = load_scene_inputs(doc, evaluator)
        textures = {k: as_received(t, r.switches, r.longest, normals=k in normals) for k, t in loaded.items()}
        report.findings += [
            finding_row(f, {"overlay": f.subject}) for f in examine_scene(scene_subject(doc, textures, meshes))
        ]
        moving = MotionSubject(doc, textures, build_environment(doc, meshes))
        report.findings += [
            finding_row(f, {"overlay": shows.name if (shows := doc.overlay(f.overlay)) else f.subject, "effect": f.subject})
            for f in examine_motion(moving)
        ]
    if doc.limits is not None:
        report.findings = by_limits(report.findings, report.pictures, doc.limits)  # a file that is given judges anew


def report_on(path: str, receiver: str = "") -> Report:
    """Examine one picture or project, as a receiver has it where one is named; whatever goes wrong is in the report."""
    report = Report(path)
    try:
        (_project if path.lower().endswith(".mivex") else _picture)(report, receiver)
    except Exception as e:
        report.problem = sentence(e, f"examining {path!r}")
        report.pictures, report.findings = [{"path": shown(path), "problem": report.problem}], []
    return report


def _alone() -> None:
    """A process that examines pictures uses one core, and leaves the others to its fellows."""
    import cv2
    import OpenImageIO as oiio

    one_core()
    cv2.setNumThreads(1)
    oiio.attribute("threads", 1)
    with contextlib.suppress(OSError):
        os.nice(5)


def report_all(
    paths: list[str], tell: Callable[[int, int], None] = lambda _done, _all: None, receiver: str = ""
) -> Iterator[Report]:
    """Examine many files on all cores; reports come in the order of the paths.

    Parameters
    ----------
    paths : list of str
    tell : callable
        Told how many are done, and of how many.
    receiver : str
        File of a receiver's profile, or name of one of the projects' own, by which is judged; empty: as prepared.

    Notes
    -----
    Processes, not threads: one picture that brings a library down takes nothing else with it.
    """
    cores = min(WORKERS, len(paths))
    if cores <= 1:
        for number, path in enumerate(paths, 1):
            yield report_on(path, receiver)
            tell(number, len(paths))
        return
    # Forked, so that kernels and modules are there at once; but never from a process with threads, whose locks a
    # child would inherit held.
    context = multiprocessing.get_context("fork" if threading.active_count() == 1 else "spawn")
    done = 0
    while done < len(paths):
        try:
            with ProcessPoolExecutor(cores, mp_context=context, initializer=_alone) as pool:
                waiting = [pool.submit(report_on, p, receiver) for p in paths[done:]]
                for job in waiting:
                    try:
                        made = job.result()
                    except BrokenProcessPool:
                        for other in waiting:
                            other.cancel()
                        raise
                    done += 1
                    yield made
                    tell(done, len(paths))
        except BrokenProcessPool:
            # It was this one or one after it: this one is examined by itself, and the rest anew.
            yield _by_itself(paths[done], context, receiver)
            done += 1
            tell(done, len(paths))


def _by_itself(path: str, context: Any, receiver: str) -> Report:
    try:
        with ProcessPoolExecutor(1, mp_context=context, initializer=_alone) as pool:
            return pool.submit(report_on, path, receiver).result()
    except BrokenProcessPool:
        words = "Examining it ended the process; the file is damaged in a way that no library foresaw."
        return Report(path, [{"path": shown(path), "problem": words}], problem=words)

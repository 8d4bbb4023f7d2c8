"""What is measured as a fault, shown where it is, and mended.

A check is registered by standing in ``CHECKS`` of a module in a package of its scope.
"""

from dataclasses import replace

from mivex.core.base.bands import checkpoint
from mivex.core.base.discovery import found_in
from mivex.core.base.errors import Stopped
from mivex.core.findings.base import Check, MotionSubject, SceneSubject, Subject
from mivex.core.findings.causes import gathered
from mivex.core.findings.finding import Finding, Look, Repair, Texels
from mivex.core.findings.finding import likely as likely

CHECKS: dict[str, Check] = {c.id: c for c in found_in(__name__, __path__, "CHECKS")}
"""Every check by its id."""


def examine(subject: Subject) -> list[Finding]:
    """Run every check of a texture on one subject, and of a sheet where it is one.

    Parameters
    ----------
    subject : Subject

    Returns
    -------
    list of Finding, those that do most on screen first; what another causes stands right behind it.
    """
    about = (subject.overlay,) if subject.overlay else ()
    rows: list[Finding] = []
    for check in CHECKS.values():
        if check.scope == "texture" or (check.scope == "sheet" and subject.texture.traits.cells):
            checkpoint()
            rows += [
                replace(f, overlays=about, place=Texels(*f.place) if f.place else None) for f in check.measure(subject)
            ]
    return gathered(subject, sorted(rows, key=lambda f: -f.weight), CHECKS)


def examine_sheet(subject: Subject) -> list[Finding]:
    """Run the checks of a sheet alone; as `examine`."""
    rows = [f for check in CHECKS.values() if check.scope == "sheet" for f in check.measure(subject)]
    return sorted(rows, key=lambda f: -f.weight)


def examine_motion(subject: MotionSubject) -> list[Finding]:
    """Run the checks of effects; as `examine`."""
    rows: list[Finding] = []
    for check in CHECKS.values():
        if check.scope == "motion" and subject.effects:
            checkpoint()
            if subject.stop():
                raise Stopped
            rows += check.measure(subject)
    return sorted(rows, key=lambda f: -f.weight)


def examine_scene(scene: SceneSubject) -> list[Finding]:
    """Run every check of the scene; as `examine`."""
    rows: list[Finding] = []
    for check in CHECKS.values():
        if check.scope == "scene":
            checkpoint()
            if scene.stop():
                raise Stopped
            rows += check.measure(scene)
    return sorted(rows, key=lambda f: -f.weight)


__all__ = [
    "CHECKS",
    "Check",
    "Finding",
    "Look",
    "MotionSubject",
    "Repair",
    "SceneSubject",
    "Subject",
    "Texels",
    "examine",
    "examine_motion",
    "examine_scene",
    "examine_sheet",
]

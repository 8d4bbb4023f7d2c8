"""Checks. A check is registered by being a module here that defines ``CHECKS``."""

import importlib
import pkgutil
from dataclasses import replace

from mivex.core.findings.base import Check, Finding, Repair, Subject
from mivex.core.project import edits
from mivex.core.project.document import Document


def _discover() -> dict[str, Check]:
    found: dict[str, Check] = {}
    for info in sorted(pkgutil.iter_modules(__path__), key=lambda m: m.name):
        for check in getattr(importlib.import_module(f"{__name__}.{info.name}"), "CHECKS", ()):
            found[check.id] = check
    return found


CHECKS: dict[str, Check] = _discover()
"""Every check by its id."""


def examine(subject: Subject) -> list[Finding]:
    """Run every check on one subject.

    Parameters
    ----------
    subject : Subject

    Returns
    -------
    list of Finding, those that do most on screen first.
    """
    rows = [replace(f, overlay=subject.overlay) for check in CHECKS.values() for f in check.measure(subject)]
    return sorted(rows, key=lambda f: -f.weight)


def apply_repair(doc: Document, overlay_id: str, repair: Repair) -> Document:
    """Make the edit that mends a finding; undoing it is undoing any edit."""
    if repair.steps:
        overlay = doc.overlay(overlay_id)
        steps = overlay.steps if overlay else ()
        doc = edits.set_steps(doc, overlay_id,
                              (*repair.steps, *steps) if repair.first else (*steps, *repair.steps))
    for part in ("material", "source", "delivery"):
        if values := getattr(repair, part):
            doc = edits.set_fields(doc, overlay_id, part, **values)
    return doc


__all__ = ["CHECKS", "Check", "Finding", "Repair", "Subject", "apply_repair", "examine"]

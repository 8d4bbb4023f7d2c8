"""Check ``loose``: islands of a cutout that hang on nothing.

A net, a torn cloth, a grille are one piece; what has come off it floats in the air. Where a cutout is made of
pieces by its nature (letters, leaves, drops) no piece is far larger than the rest, and nothing is said.
"""

import numpy as np

from mivex.core.base.messages import Message, term
from mivex.core.findings.base import Check, Subject, mend
from mivex.core.findings.finding import Finding, Look
from mivex.core.prepare.loose import DropLoose, pieces_of

MAIN = 0.9
"""The largest piece must be so much of all that is solid,"""
REACH = 0.5
"""and its box so much of the picture's width and height, for the rest to be loose."""
LOOSE = 0.03
"""A loose piece is at most so much of the largest."""
LEAST = 4
"""Texels; smaller ones are the specks' check."""


def _loose(subject: Subject) -> list[Finding]:
    t, m = subject.texture, subject.material
    if m is None or m.blend != "Cutout" or t.distance > 0 or subject.flat_alpha or t.scale < 1:
        return []
    p = pieces_of(t.alpha, m.cutoff, repeats=subject.wraps)
    if len(p.size) < 3 or p.size.max() < MAIN * p.size.sum():
        return []
    rows, cols = np.nonzero(p.label == p.largest)
    if np.ptp(rows) < REACH * t.height or np.ptp(cols) < REACH * t.width:
        return []
    small = np.flatnonzero((p.size >= LEAST) & (p.size <= LOOSE * p.size.max()))
    if not len(small):
        return []
    worst = int(small[p.size[small].argmax()])
    y, x = np.nonzero(p.label == worst)
    place = (int(x.min()), int(y.min()), int(np.ptp(x)) + 1, int(np.ptp(y)) + 1)
    step = DropLoose(cutoff=m.cutoff, share=LOOSE, repeats=subject.wraps)
    count, area = len(small), int(p.size[small].sum())
    one = count == 1
    return [
        Finding(
            "loose",
            subject.name,
            count,
            "piece" if one else "pieces",
            Message(
                "{count} {word} on nothing; the largest has {size} texels.",
                count=count,
                word=term("piece hangs" if one else "pieces hang"),
                size=int(p.size[worst]),
            ),
            "In the game bits float beside the shape.",
            place,
            mend(subject, "Drop the loose pieces", (step,)),
            {"texels": area},
            weight=255 * area / t.alpha.size,
        )
    ]


CHECKS = (Check("loose", "Loose pieces", _loose, "alpha", Look(show="alpha")),)

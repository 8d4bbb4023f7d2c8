"""What is paid for and not seen: a veil of nearly clear texels."""

import numpy as np

from mivex.core.base.messages import Message
from mivex.core.findings.base import Check, Subject, mend
from mivex.core.findings.finding import Finding, Look
from mivex.core.prepare.levels import Levels
from mivex.core.prepare.move import Trim, box_of

VEIL = 8
"""Alpha, of 255, up to which a texel changes black or white by no more than that."""
LEAST_VEIL, LARGE_VEIL = 0.1, 0.3
"""Share of all fragments that are veil: worth a word; and likely a mistake where it is also most of what is drawn."""


def _veil(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not subject.uses_alpha or subject.flat_alpha or t.distance > 0 or t.meaning == "data":
        return []
    if subject.material and subject.material.blend in ("Cutout", "Solid"):
        return []
    limit = np.float32((VEIL + 0.5) / 255)
    seen, veil = t.alpha > 0, (t.alpha > 0) & (t.alpha <= limit)
    share = float(veil.mean())
    if share < LEAST_VEIL or not (seen & ~veil).any():
        return []
    box = box_of(t.alpha, float(limit))
    whole_box = box_of(t.alpha, 0.0)
    assert box is not None and whole_box is not None
    area = [(b[2] - b[0]) * (b[3] - b[1]) for b in (box, whole_box)]
    saved = 1 - area[0] / max(area[1], 1)
    y, x = np.flatnonzero(veil.any(axis=1)), np.flatnonzero(veil.any(axis=0))
    steps = (Levels(channel="alpha", black=VEIL / 255), *((Trim(margin=2),) if saved > 0.05 else ()))
    return [
        Finding(
            "veil",
            subject.name,
            share * 100,
            "% of the texels",
            Message(
                "{share:.0%} of the texels have an alpha of 1 to {most} of 255: hardly seen, and drawn all the same. "
                "Without them a box smaller by {saved:.0%} holds the rest.",
                share=share,
                most=VEIL,
                saved=saved,
            ),
            "Every one of them is blended, and stands in the way of whatever is sorted with it.",
            (int(x[0]), int(y[0]), int(x[-1] - x[0] + 1), int(y[-1] - y[0] + 1)),
            mend(subject, "Clear the veil", steps),
            {"veil": round(share, 4), "saved": round(saved, 4), "most": VEIL},
            weight=0.04,
            certainty="likely" if share >= LARGE_VEIL and share > 0.5 * float(seen.mean()) else "possible",
        )
    ]


CHECKS = (Check("veil", "A veil that nobody sees", _veil, "alpha", Look(show="alpha")),)
"""Registered."""

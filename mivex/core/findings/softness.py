"""Checks of how soft the alpha is, and whether the blend makes use of it."""

import cv2
import numpy as np

from mivex.core.findings.base import Check, Finding, Repair, Subject
from mivex.core.prepare.blur import Blur
from mivex.core.prepare.levels import Levels
from mivex.core.prepare.move import Trim, box_of
from mivex.core.prepare.resize import Resize
from mivex.core.proof.histogram import histogram
from mivex.core.types import Floats, Mask

TWO_VALUED = 0.01
"""Fewer texels between 0 and 1 than this share, and softness is not used."""
SOFT_CUT = 0.25
"""More half-clear texels than this share of what is seen, and a cutout throws much away."""
FEW_LEVELS = 24
"""A soft alpha with no more levels than this shows bands."""
MOST_EMPTY = 0.5
FAINT = 0.25
"""Specks are fainter than this."""
STRAY = 0.02
"""Alpha up to this is a keyed backdrop's grain, not the shape."""


def _alpha_counts(subject: Subject) -> tuple[np.ndarray, int]:
    counts = histogram(subject.texture).counts[3]
    return counts, int(counts.sum())


def _two_valued(subject: Subject) -> list[Finding]:
    t, m = subject.texture, subject.material
    if m is None or m.blend not in ("Translucent", "Premultiplied") or subject.flat_alpha or m.opacity < 1:
        return []
    counts, total = _alpha_counts(subject)
    between = float(counts[6:250].sum() / total)
    # All of it must be nearly clear or nearly solid: even, half-clear glass is soft in its own way.
    if between >= TWO_VALUED or counts[250:].sum() == 0:
        return []
    return [Finding("two-valued", subject.name, between * 100, "% between",
                    f"Only {between:.1%} of the texels lie between clear and solid, yet {m.blend} sorts and blends every "
                    "one of them.",
                    "It costs sorting and overdraw and can be drawn in the wrong order; Cutout looks the same here and "
                    "needs neither.", (0, 0, t.width, t.height), Repair("Blend as Cutout", material={"blend": "Cutout"}))]


def _soft_cutout(subject: Subject) -> list[Finding]:
    t, m = subject.texture, subject.material
    if m is None or m.blend != "Cutout" or subject.flat_alpha or t.spread > 0:
        return []
    counts, _ = _alpha_counts(subject)
    seen = int(counts[3:].sum())
    share = float(counts[26:230].sum() / max(seen, 1))
    if share <= SOFT_CUT:
        return []
    return [Finding("soft-cutout", subject.name, share * 100, "% between",
                    f"{share:.0%} of what is seen is half clear, and Cutout makes each texel all or nothing.",
                    "Soft edges and veils turn into hard, crawling outlines.", (0, 0, t.width, t.height),
                    Repair("Blend as Translucent", material={"blend": "Translucent"}))]


def _banding(subject: Subject) -> list[Finding]:
    t = subject.texture
    if subject.flat_alpha or not subject.uses_alpha:
        return []
    if subject.material and subject.material.blend == "Cutout":
        return []
    counts, total = _alpha_counts(subject)
    inner = counts[1:255]
    soft = float(inner.sum() / total)
    # A level counts if it holds more than a stray texel.
    levels = int((inner > max(1, total // 20000)).sum())
    if soft < 0.05 or not 2 <= levels <= FEW_LEVELS:
        return []
    # Even areas, such as a pane of one opacity, have few levels and no bands: bands touch one another.
    a = np.rint(t.alpha * 255).astype(np.int16)
    step = np.abs(np.diff(a, axis=1))
    steps = (step > 0) & (step <= 255 // levels * 2) & (a[:, 1:] > 0) & (a[:, :-1] > 0)
    flat = float((step == 0)[(a[:, 1:] > 0) & (a[:, 1:] < 255)].mean())
    if flat < 0.5 or not steps.any():
        return []
    y, x = np.unravel_index(int(steps.argmax()), steps.shape)
    return [Finding("banding", subject.name, float(levels), "levels",
                    f"The soft part of the alpha has only {levels} levels.",
                    "Smoke and glass show contour lines instead of an even fade.",
                    (max(0, int(x) - 8), max(0, int(y) - 8), 16, 16),
                    Repair("Smooth the alpha over 2 px", (Blur(what="alpha", radius=2.0),)), {"soft": soft})]


def specks(alpha: Floats) -> Mask:
    """Faint texels that stand nearly alone, where there are enough of them to matter; else none."""
    round_it = cv2.blur(np.ascontiguousarray(alpha), (7, 7))
    # A texel alone in a clear neighbourhood makes a mean of 1/49 of its own.
    alone = (alpha > 0) & (alpha < FAINT) & (round_it < alpha * np.float32(0.2))
    return np.asarray(alone & (alone.sum() >= max(12, alpha.size * 1e-4)))


def _specks(subject: Subject) -> list[Finding]:
    t = subject.texture
    repeats = bool(subject.material and subject.material.tiling)
    if not subject.uses_alpha or subject.flat_alpha or t.spread > 0 or repeats or subject.has_step("noise"):
        return []
    a, alone = t.alpha, specks(t.alpha)
    count = int(alone.sum())
    if not count:
        return []
    low = min(round(float(np.percentile(a[alone], 98)) + 0.01, 3), FAINT)
    y, x = np.unravel_index(int(np.where(alone, a, 0).argmax()), a.shape)
    return [Finding("specks", subject.name, float(count), "texels", f"{count} faint specks stand alone in clear "
                    "surroundings.", "A veil of dust in the game; and they hold the colour of what was cut away, which "
                    "leaks into the edge with distance.", (max(0, int(x) - 4), max(0, int(y) - 4), 9, 9),
                    Repair("Clear what is that faint", (Levels(black=low),)), {"below": low})]


def _margin(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not subject.uses_alpha or subject.flat_alpha or (subject.material and subject.material.tiling):
        return []
    above = STRAY if specks(t.alpha).any() else 0.0
    box = box_of(t.alpha, above)
    if box is None:
        return []
    used = (box[2] - box[0]) * (box[3] - box[1]) / (t.width * t.height)
    if used >= 1 - MOST_EMPTY:
        return []
    return [Finding("empty-margin", subject.name, (1 - used) * 100, "% empty",
                    f"{1 - used:.0%} of the picture is empty margin.",
                    "Memory is spent on nothing, and every clear texel is still drawn.",
                    (box[0], box[1], box[2] - box[0], box[3] - box[1]),
                    Repair("Trim to what is seen", (Trim(above=above, margin=4), Resize(to="power"))), {"box": list(box)})]


CHECKS = (Check("two-valued", "Softness not used", _two_valued), Check("soft-cutout", "Softness cut away", _soft_cutout),
          Check("banding", "Alpha in few levels", _banding), Check("specks", "Faint specks", _specks),
          Check("empty-margin", "Mostly empty", _margin))
"""Registered."""

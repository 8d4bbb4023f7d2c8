"""Checks of how soft the alpha is, and whether the blend makes use of it."""

import numpy as np

from mivex.core.base.lazy import Lazy
from mivex.core.base.messages import Message, term
from mivex.core.base.types import Floats
from mivex.core.findings.base import Check, Subject, mend
from mivex.core.findings.finding import Finding, Look, whole
from mivex.core.prepare.blur import Blur
from mivex.core.prepare.clear_specks import ClearSpecks, lone_specks
from mivex.core.prepare.move import Trim, box_of
from mivex.core.prepare.resize import Resize
from mivex.core.proof.histogram import histogram

cv2 = Lazy("cv2")

TWO_VALUED = 0.01
"""Fewer texels between 0 and 1 than this share, and softness is not used."""
SOFT_CUT = 0.25
"""More half-clear texels than this share of what is seen, and a cutout throws much away."""
FEWEST, FEW_LEVELS = 4, 32
"""A slope in so many levels shows bands; fewer are even parts of a drawing."""
LEAST_BANDED, LEAST_SOFT = 64, 1000
"""Texels a side, and soft texels, below which bands cannot be told from an outline."""
MOST_STEPS, NEARLY_ALL, LEAST_STEP, MANY_STEPS = 20, 0.98, 10, 6
"""An alpha rounded to few levels: so many at most, with such a share of the soft texels, so many codes apart."""
MOST_EMPTY = 0.5
MOST_LONE = 12
"""Fewer specks than this are not worth a word."""
STRAY = 0.02
"""Alpha up to this is a keyed backdrop's grain, not the shape."""


def _alpha_counts(subject: Subject) -> tuple[np.ndarray, int]:
    counts = histogram(subject.texture).counts[3]
    return counts, int(counts.sum())


def _two_valued(subject: Subject) -> list[Finding]:
    t, m = subject.texture, subject.material
    if m is None or m.blend not in ("Translucent", "Premultiplied") or subject.flat_alpha or m.opacity < 1:
        return []
    # Codes 6 to 249: a file's rounding and a keyer's grain at both ends are no softness.
    counts, total = _alpha_counts(subject)
    between = float(counts[6:250].sum() / total)
    # All of it must be nearly clear or nearly solid: even, half-clear glass is soft in its own way.
    if between >= TWO_VALUED or counts[250:].sum() == 0:
        return []
    return [
        Finding(
            "two-valued",
            subject.name,
            between * 100,
            "% between",
            Message(
                "Only {between:.1%} of the texels lie between clear and solid, yet {blend} sorts and "
                "blends every one of them.",
                between=between,
                blend=term(m.blend),
            ),
            "It costs sorting and overdraw and can be drawn in the wrong order; Cutout looks the same here and "
            "needs neither.",
            whole(t),
            mend(subject, "Blend as Cutout", material={"blend": "Cutout"}),
            weight=0.1,
        )
    ]


def _soft_cutout(subject: Subject) -> list[Finding]:
    t, m = subject.texture, subject.material
    if m is None or m.blend != "Cutout" or subject.flat_alpha or t.distance > 0:
        return []
    counts, _ = _alpha_counts(subject)
    # From code 3 on: what is fainter is not seen, and there may be any amount of it.
    seen = int(counts[3:].sum())
    # A tenth to nine tenths: only there does a cutout move the outline by more than half a texel's width.
    share = float(counts[26:230].sum() / max(seen, 1))
    if share <= SOFT_CUT:
        return []
    return [
        Finding(
            "soft-cutout",
            subject.name,
            share * 100,
            "% between",
            Message("{share:.0%} of what is seen is half clear, and Cutout makes each texel all or nothing.", share=share),
            "Soft edges and veils turn into hard, crawling outlines.",
            whole(t),
            mend(subject, "Blend as Translucent", material={"blend": "Translucent"}),
            weight=64 * share,
        )
    ]


def plateaus(alpha: Floats) -> tuple[float, list[int], float]:
    """How far the soft part of an alpha lies in plateaus, as codes of 0 to 255.

    Returns
    -------
    share : float
        Of the soft texels, those whose eight neighbours all have the very same code.
    levels : list of int
        Codes of plateaus that hold at least a hundredth of them.
    ramp : float
        Of all steps between plateau codes of neighbouring soft texels, the share that goes to the next
        plateau up or down: near 1 on a slope, small in art of a few even parts.
    """
    a = np.rint(alpha * 255).astype(np.uint8)
    soft = (a > 2) & (a < 253)
    count = int(soft.sum())
    if count == 0:
        return 0.0, [], 0.0
    box = np.ones((3, 3), np.uint8)
    # Even in a square of three: a slope of one code a texel is never even so, a plateau is.
    even = soft & (cv2.erode(a, box) == a) & (cv2.dilate(a, box) == a)
    held = np.bincount(a[even], minlength=256)
    # A level has to hold a hundredth of what is even, or it is a few texels that meet by chance.
    levels = [int(v) for v in np.flatnonzero(held >= max(8, 0.01 * even.sum()))]
    if len(levels) < 2:
        return float(even.sum() / count), levels, 0.0
    rank = np.full(256, -1, np.int16)
    rank[levels] = np.arange(len(levels))
    order = rank[a]
    # Steps between neighbouring levels speak of a slope; steps across several, of parts that meet at a line.
    near = far = 0
    for p, q, both in (
        (order[:, 1:], order[:, :-1], soft[:, 1:] & soft[:, :-1]),
        (order[1:], order[:-1], soft[1:] & soft[:-1]),
    ):
        step = np.abs(p - q)[both & (p >= 0) & (q >= 0)]
        near += int((step == 1).sum())
        far += int((step > 1).sum())
    return float(even.sum() / count), levels, near / max(near + far, 1)


def even_levels(counts: np.ndarray) -> list[int]:
    """Codes of alpha in even steps that hold nearly all soft texels: an alpha that was rounded to few levels.

    Parameters
    ----------
    counts : int array (256,)
        Texels of each code.

    Returns
    -------
    list of int; empty where the soft texels are spread over more codes, or the steps are small or uneven. An alpha drawn
    at 8 bits, however small, holds codes between.
    """
    soft = counts.copy()
    # Both ends of the range are the clear and the solid parts, not steps of the slope.
    soft[:3] = soft[253:] = 0
    whole = max(int(soft.sum()), 1)
    levels = np.flatnonzero(soft >= 0.004 * whole)
    if not 2 <= len(levels) <= MOST_STEPS or soft[levels].sum() < NEARLY_ALL * whole:
        return []
    apart = np.diff(levels)
    step = float(np.median(apart))
    # Within one code of a whole number of steps: levels were rounded to codes themselves.
    if step < LEAST_STEP or (np.abs(apart - step * np.rint(apart / step)) > 1).any():
        return []
    return [int(v) for v in levels]


def _banding(subject: Subject) -> list[Finding]:
    t = subject.texture
    if subject.flat_alpha or not subject.uses_alpha or t.distance > 0 or min(t.width, t.height) < LEAST_BANDED:
        return []
    # A cutout has no soft part that could show bands.
    if subject.material and subject.material.blend == "Cutout":
        return []
    counts, total = _alpha_counts(subject)
    if int(counts[3:253].sum()) < LEAST_SOFT:
        return []
    share, levels, ramp = plateaus(t.alpha)
    sloped = share >= 0.22 and ramp >= 0.8 and FEWEST <= len(levels) <= FEW_LEVELS
    steps = even_levels(counts)
    if not sloped and len(steps) < 2:
        return []
    # Even parts of a drawing meet at lines; a slope goes from one level to the next. Nobody paints six even parts, each as
    # far from the next as the last.
    parts = share >= 0.5 and ramp < 0.5 and len(steps) < MANY_STEPS
    sure = sloped or (len(steps) >= FEWEST and not parts)
    levels = levels if sloped else steps
    step = float(np.median(np.diff(levels)))
    if step < 4:
        return []  # a slope so slight that the file can hold no more
    a = np.rint(t.alpha * 255).astype(np.int16)
    # Half a step: where two bands meet the outline is often smoothed by one texel.
    jumps = (np.abs(np.diff(a, axis=1)) >= step * 0.5) & (a[:, 1:] > 2) & (a[:, :-1] > 2)
    if not jumps.any():
        return []
    y, x = np.unravel_index(int(jumps.argmax()), jumps.shape)
    soft = float(counts[3:253].sum() / total)
    return [
        Finding(
            "banding",
            subject.name,
            float(len(levels)),
            "levels",
            Message(
                "The soft part of the alpha has only {count} levels, {step:.0f} of 255 apart.", count=len(levels), step=step
            ),
            "Smoke and glass show contour lines instead of an even fade.",
            (max(0, int(x) - 8), max(0, int(y) - 8), 16, 16),
            mend(subject, "Smooth the alpha over 2 px", (Blur(what="alpha", radius=2.0),)),
            {"soft": soft},
            weight=step * float(jumps.mean()),
            certainty="likely" if sure else "possible",
        )
    ]


def _specks(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not subject.uses_alpha or subject.flat_alpha or t.distance > 0 or subject.wraps or subject.has_step("noise"):
        return []
    alone = lone_specks(t.alpha)
    count = int(alone.sum())
    # Two in ten thousand: the grain of a large picture is more texels, and no more of a veil.
    if count < max(MOST_LONE, alone.size * 2e-4):
        return []
    y, x = np.unravel_index(int(np.where(alone, t.alpha, 0).argmax()), alone.shape)
    mean = float(t.alpha[alone].mean())
    return [
        Finding(
            "specks",
            subject.name,
            float(count),
            "texels",
            Message(
                "{count} faint specks stand alone in clear surroundings, of alpha {mean:.3f} on average.",
                count=count,
                mean=mean,
            ),
            "A veil of dust in the game; and they hold the colour of "
            "what was cut away, which leaks into the edge with distance.",
            (max(0, int(x) - 4), max(0, int(y) - 4), 9, 9),
            mend(subject, "Clear those texels", (ClearSpecks(),)),
            {"mean": mean},
            weight=255 * mean * count / alone.size,
        )
    ]


def _margin(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not subject.uses_alpha or subject.flat_alpha or (subject.material and subject.material.tiling):
        return []
    # Grain would hold the box open: where there is some, it begins at what is surely shape.
    above = STRAY if lone_specks(t.alpha).any() else 0.0
    box = box_of(t.alpha, above)
    if box is None:
        return []
    used = (box[2] - box[0]) * (box[3] - box[1]) / (t.width * t.height)
    if used >= 1 - MOST_EMPTY:
        return []
    return [
        Finding(
            "empty-margin",
            subject.name,
            (1 - used) * 100,
            "% empty",
            Message("{value:.0%} of the picture is empty margin.", value=1 - used),
            "Memory is spent on nothing, and every clear texel is still drawn.",
            (box[0], box[1], box[2] - box[0], box[3] - box[1]),
            mend(subject, "Trim to what is seen", (Trim(above=above, margin=4), Resize(to="power"))),
            {"box": list(box)},
            weight=0.05,
        )
    ]


CHECKS = (
    Check("two-valued", "Softness not used", _two_valued, "blend", Look(show="alpha")),
    Check("soft-cutout", "Softness cut away", _soft_cutout, "blend", Look(show="alpha")),
    Check("banding", "Alpha in few levels", _banding, "alpha", Look(show="alpha")),
    Check("specks", "Faint specks", _specks, "alpha", Look(show="alpha")),
    Check("empty-margin", "Mostly empty", _margin, "edges", Look(show="alpha")),
)
"""Registered."""

"""Checks of the alpha itself: is there one, does it say anything, does it reach the border."""

import numpy as np

from mivex.core.findings.base import Check, Finding, Repair, Subject
from mivex.core.image.texture import Texture
from mivex.core.prepare.alpha_from import AlphaFrom
from mivex.core.prepare.clear_border import ClearBorder
from mivex.core.prepare.invert_alpha import InvertAlpha
from mivex.core.prepare.key_colour import border_of, key_from_border

FLAT, EVEN = 0.03, 0.25
"""A border within this of one colour was painted flat; within that, it is a lit and grainy backdrop."""


def _make_alpha(t: Texture) -> Repair:
    """Guess how the picture wants its alpha made: over a flat colour, off a photographed one, or by brightness."""
    rim = border_of(t.values[..., :3])
    middle = np.median(rim, axis=0)
    off = np.abs(rim - middle).max(axis=1)
    if (off < FLAT).mean() > 0.9:
        r, g, b = (round(float(v), 3) for v in middle)
        return Repair("Make alpha from the backdrop", (AlphaFrom(source="matte", matte=(r, g, b)),))
    if (off < EVEN).mean() > 0.95 and float(np.ptp(middle)) > 0.15:
        return Repair("Key out the backdrop", (key_from_border(t.values),))
    return Repair("Make alpha from luminance", (AlphaFrom(source="luminance"),))


def _no_alpha(subject: Subject) -> list[Finding]:
    t = subject.texture
    if t.has_alpha or not subject.uses_alpha:
        return []
    return [Finding("no-alpha", subject.name, 0, "channels", "The picture has no alpha channel.",
                    "Nothing shows through: the whole rectangle covers what lies behind it.",
                    (0, 0, t.width, t.height), _make_alpha(t))]


def _constant(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not t.has_alpha or not subject.flat_alpha or not subject.uses_alpha:
        return []
    value = float(t.alpha.flat[0])
    seen = ("Nothing of it is seen at all." if value == 0 else
            "The whole rectangle is seen, corners and all.")
    return [Finding("constant-alpha", subject.name, value, "alpha",
                    f"Alpha is {value:.3g} in every texel.", seen, (0, 0, t.width, t.height), _make_alpha(t))]


def turned_round(alpha: np.ndarray) -> float:
    """How far the alpha looks inverted: mean along the border less mean in the middle; 0 where it does not.

    It does where nearly all the border is solid and most of the middle third is clear.
    """
    h, w = alpha.shape
    if min(h, w) < 8:
        return 0.0
    rim, middle = border_of(alpha), alpha[h // 3:h - h // 3, w // 3:w - w // 3]
    if (rim >= 0.95).mean() < 0.95 or (middle <= 0.05).mean() < 0.6:
        return 0.0
    return float(rim.mean() - middle.mean())


def _inverted(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not subject.uses_alpha or subject.flat_alpha or t.spread > 0:
        return []
    by = turned_round(t.alpha)
    if by <= 0:
        return []
    return [Finding("inverted", subject.name, by, "alpha", f"Alpha looks turned round: the border is solid and the middle "
                    f"clear; their means differ by {by:.2f}.",
                    "The surroundings cover what lies behind, and the shape itself is a hole.", (0, 0, t.width, t.height),
                    Repair("Invert the alpha", (InvertAlpha(),)))]


def _border(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not subject.uses_alpha or subject.flat_alpha or (subject.material and subject.material.tiling):
        return []
    if turned_round(t.alpha) > 0:
        return []  # said already, and better
    a = t.alpha
    rim = border_of(a)
    share = float((rim > 0).mean())
    if share == 0:
        return []
    sides = {"top": a[0], "bottom": a[-1], "left": a[:, 0], "right": a[:, -1]}
    worst = max(sides, key=lambda k: (float((sides[k] > 0).mean()), float(sides[k].max())))
    place = {"top": (0, 0, t.width, 1), "bottom": (0, t.height - 1, t.width, 1),
             "left": (0, 0, 1, t.height), "right": (t.width - 1, 0, 1, t.height)}[worst]
    named = ", ".join(k for k, v in sides.items() if (v > 0).any())
    return [Finding("border", subject.name, share * 100, "% of the border",
                    f"Alpha reaches the picture's border ({named}): {share:.1%} of it, up to "
                    f"{float(rim.max()):.2f}.",
                    "The shape is cut off in a straight line, and with clamped addressing its border texels "
                    "are drawn out into streaks.", place,
                    Repair("Clear the border softly", (ClearBorder(width=1, soft=2),)),
                    {"largest": float(rim.max()), "sides": named})]


CHECKS = (Check("no-alpha", "No alpha", _no_alpha), Check("constant-alpha", "Alpha all one value", _constant),
          Check("inverted", "Alpha looks inverted", _inverted), Check("border", "Alpha at the border", _border))

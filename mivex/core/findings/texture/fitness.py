"""Checks of size and depth settings."""

import numpy as np

from mivex.core.base.messages import Message, term
from mivex.core.findings.base import Check, Subject, mend
from mivex.core.findings.finding import Finding, whole
from mivex.core.pixels.blends import BLENDS
from mivex.core.prepare.resize import Resize, nearest_power

CLEAR_BELOW = 0.995
"""A texel with less alpha than this lets something through."""


def _size(subject: Subject) -> list[Finding]:
    t = subject.texture
    wide, high = t.full_size if t.scale < 1 else (t.width, t.height)
    bad = [s for s in (wide, high) if s & (s - 1)]
    if not bad:
        return []
    to = (nearest_power(wide), nearest_power(high))
    return [
        Finding(
            "size",
            subject.name,
            float(bad[0]),
            "px",
            Message(
                "{wide} × {high} is not a power of two on {word}.",
                wide=wide,
                high=high,
                word=term("both sides" if len(bad) == 2 and wide != high else "each side"),
            ),
            "Mip levels no longer halve evenly and some block compressions refuse it; a runtime may "
            "stretch or reject the picture.",
            (0, 0, wide, high),
            mend(subject, Message("Resize to {to} × {to2}", to=to[0], to2=to[1]), (Resize(to="power"),)),
            {"width": wide, "height": high},
            weight=0.01,
        )
    ]


def _budget(subject: Subject) -> list[Finding]:
    t, d = subject.texture, subject.delivery
    wide, high = t.full_size if t.scale < 1 else (t.width, t.height)
    if d is None or d.budget == 0 or max(wide, high) <= d.budget:
        return []
    k = d.budget / max(wide, high)
    to = (max(1, round(wide * k)), max(1, round(high * k)))
    return [
        Finding(
            "budget",
            subject.name,
            float(max(wide, high)),
            "px",
            Message(
                "{wide} × {high} is larger than the {budget} px that the receiver wants.",
                wide=wide,
                high=high,
                budget=d.budget,
            ),
            Message(
                "It takes {wide:.1f} times the memory; the receiver may refuse it or reduce it its own way.",
                wide=wide * high / (to[0] * to[1]),
            ),
            (0, 0, wide, high),
            mend(
                subject,
                Message("Resize to {to} × {to2}", to=to[0], to2=to[1]),
                (Resize(to="size", width=to[0], height=to[1]),),
            ),
            {"budget": d.budget},
            weight=0.03,
        )
    ]


def _alpha_lost(subject: Subject) -> list[Finding]:
    t, d = subject.texture, subject.delivery
    if d is None or d.format != "tga24" or not subject.uses_alpha:
        return []
    share = float((t.alpha < CLEAR_BELOW).mean()) * 100
    return [
        Finding(
            "alpha-lost",
            subject.name,
            share,
            "% of the texels",
            Message("The chosen file has no alpha channel: {share:.0f} % of the texels would lose theirs.", share=share),
            "What was clear arrives solid, with whatever colour lay under it.",
            whole(t),
            mend(subject, "Deliver as PNG", delivery={"format": "png"}),
            weight=2.5 * share,
        )
    ]


def _depth_write(subject: Subject) -> list[Finding]:
    m, t = subject.material, subject.texture
    if m is None or not m.depth_write or not BLENDS[m.blend].see_through:
        return []
    clear = t.alpha * np.float32(m.opacity) < CLEAR_BELOW
    if not BLENDS[m.blend].covers:
        clear = np.ones_like(clear)
    share = float(clear.mean())
    if share == 0:
        return []
    return [
        Finding(
            "depth-write",
            subject.name,
            share * 100,
            "% of the panel",
            Message(
                "A {blend} overlay writes depth: {share:.0%} of it hides what is drawn later behind "
                "it although it can be seen through.",
                blend=term(m.blend),
                share=share,
            ),
            "Bubbles, smoke or panes behind it vanish, depending on which is drawn first.",
            whole(t),
            mend(subject, "Switch depth write off", material={"depth_write": False}),
            weight=100 * share,
        )
    ]


CHECKS = (
    Check("size", "Size", _size, "source"),
    Check("budget", "Larger than stated", _budget, "source"),
    Check("alpha-lost", "File without alpha", _alpha_lost, "deliver"),
    Check("depth-write", "See-through overlay writes depth", _depth_write, "blend"),
)

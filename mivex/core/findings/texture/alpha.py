"""Checks of the alpha itself: is there one, does it say anything, does it reach the border."""

import numpy as np

from mivex.core.base.messages import Message, joined
from mivex.core.base.types import Floats, Mask
from mivex.core.findings.base import Check, Finding, Look, Repair, Subject, mend, whole
from mivex.core.layers.model import EdgeFade
from mivex.core.picture.texture import Texture
from mivex.core.prepare.alpha_from import AlphaFrom
from mivex.core.prepare.clear_border import ClearBorder
from mivex.core.prepare.drop_alpha import DropAlpha
from mivex.core.prepare.invert_alpha import InvertAlpha
from mivex.core.prepare.key_colour import border_of, key_from_border

FAINTEST, SOLID, GENTLE = 0.06, 0.94, 0.12
"""Border texels between these are soft; steps inwards below this are gentle."""
MOST_BORDER = 0.5
"""What reaches half of the border fills its box, or is a tile or a sheet."""
LEAST_CUT = 0.03
"""Share of a side that must be cut for it to count."""
FLAT, EVEN = 0.03, 0.25
"""A border within this of one colour was painted flat; within that, it is a lit and grainy backdrop."""


def _make_alpha(subject: Subject) -> Repair:
    """Guess how the picture wants its alpha made: over a flat colour, off a photographed one, or by brightness."""
    t = subject.texture
    rim = border_of(t.values[..., :3])
    middle = np.median(rim, axis=0)
    off = np.abs(rim - middle).max(axis=1)
    if (off < FLAT).mean() > 0.9:
        # To the last bit: a rounded colour would leave a trace of alpha everywhere, and nothing would be clear.
        r, g, b = (float(v) for v in middle)
        return mend(subject, "Make alpha from the backdrop", (AlphaFrom(source="matte", matte=(r, g, b)),))
    if (off < EVEN).mean() > 0.95 and float(np.ptp(middle)) > 0.15:
        return mend(subject, "Key out the backdrop", (key_from_border(t.values),))
    return mend(subject, "Make alpha from luminance", (AlphaFrom(source="luminance"),))


def _no_alpha(subject: Subject) -> list[Finding]:
    t = subject.texture
    if t.has_alpha or not subject.uses_alpha:
        return []
    return [
        Finding(
            "no-alpha",
            subject.name,
            0,
            "channels",
            "The picture has no alpha channel.",
            "Nothing shows through: the whole rectangle covers what lies behind it.",
            whole(t),
            _make_alpha(subject),
            weight=100.0,
        )
    ]


def _constant(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not t.has_alpha or not subject.flat_alpha or not subject.uses_alpha:
        return []
    value = float(t.alpha.flat[0])
    if value == 1 and subject.material is None:
        # A picture on its own may well be meant to be opaque.
        return [
            Finding(
                "constant-alpha",
                subject.name,
                value,
                "alpha",
                "Alpha is 1 in every texel: the picture is opaque, and its alpha channel says nothing.",
                "It costs a third more memory than three channels, and is taken for a see-through picture.",
                whole(t),
                mend(subject, "Drop the alpha channel", (DropAlpha(),)),
                weight=0.02,
            )
        ]
    if 0 < value < 1 and subject.glass:
        return []  # a clean pane is meant to be the same all over
    seen = "Nothing of it is seen at all." if value == 0 else "The whole rectangle is seen, corners and all."
    return [
        Finding(
            "constant-alpha",
            subject.name,
            value,
            "alpha",
            Message("Alpha is {value:.3g} in every texel.", value=value),
            seen,
            whole(t),
            _make_alpha(subject),
            weight=100.0,
        )
    ]


def _local_variation(rgb: Floats, mask: Mask) -> float:
    """Mean step from texel to texel, of 255, between neighbours that both lie in ``mask``."""
    total, count = 0.0, 0
    for axis in (0, 1):
        both = mask[1:] & mask[:-1] if axis == 0 else mask[:, 1:] & mask[:, :-1]
        step = np.abs(np.diff(rgb, axis=axis)).max(axis=2)
        total += float(step[both].sum(dtype=np.float64))
        count += int(both.sum())
    return 255 * total / max(count, 1)


def turned_round(t: Texture) -> float:
    """How far the alpha looks inverted: mean along the border less mean in the middle; 0 where it does not.

    Frames, grates and tiles have a solid rim and a clear middle, too. Only where the
    colour under the clear texels says more than that of the solid ones is the
    picture itself what is cut away.
    """
    alpha = t.alpha
    h, w = alpha.shape
    if min(h, w) < 8:
        return 0.0
    rim, middle = border_of(alpha), alpha[h // 3 : h - h // 3, w // 3 : w - w // 3]
    if (rim >= 0.95).mean() < 0.95 or (middle <= 0.05).mean() < 0.3:
        return 0.0
    rgb = t.values[..., :3]
    clear, solid = alpha <= 0.05, alpha >= 0.95
    spread = [float(rgb[m].std(axis=0, dtype=np.float64).max()) * 255 for m in (clear, solid)]
    steps = [_local_variation(rgb, m) for m in (clear, solid)]
    drawn = spread[0] >= spread[1] + 2 and steps[0] >= steps[1] + 0.25
    if not drawn and spread[0] < 2 * spread[1] + 4:
        return 0.0
    return float(rim.mean() - middle.mean())


def _inverted(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not subject.uses_alpha or subject.flat_alpha or t.distance > 0:
        return []
    by = turned_round(t)
    if by <= 0:
        return []
    return [
        Finding(
            "inverted",
            subject.name,
            by,
            "alpha",
            Message(
                "Alpha looks turned round: the border is solid and the middle clear, yet the drawing "
                "lies under what is clear; the means differ by {by:.2f}.",
                by=by,
            ),
            "The surroundings cover what lies behind, and the shape itself is a hole.",
            whole(t),
            mend(subject, "Invert the alpha", (InvertAlpha(),)),
            weight=100 * by,
        )
    ]


def cut_soft(alpha: Floats) -> tuple[Mask, Mask, Mask, Mask]:
    """Border texels (top, bottom, left, right) where soft alpha runs out of the picture.

    A texel counts where it is neither faint nor solid and its alpha goes on inwards about
    as it is: the outline of a hard shape that merely touches the border climbs at once.
    """

    def side(rows: Floats) -> Mask:
        a, b, c = rows[0], rows[min(1, len(rows) - 1)], rows[min(2, len(rows) - 1)]
        soft = (a > FAINTEST) & (a < SOLID)
        return np.asarray(soft & (np.abs(b - a) < GENTLE) & (np.abs(c - b) < GENTLE))

    return side(alpha), side(alpha[::-1]), side(alpha.T), side(alpha.T[::-1])


def _meets(alpha: Floats, axis: int) -> bool:
    """Whether the two borders of an axis go on into one another, as in a texture that repeats."""
    a, b = (alpha[0], alpha[-1]) if axis == 0 else (alpha[:, 0], alpha[:, -1])
    return bool(
        max(a.max(), b.max()) > FAINTEST
        and (a > 0).mean() > 0.02
        and (b > 0).mean() > 0.02
        and np.abs(a - b).mean() < 0.1 * max(a.mean(), b.mean()) + 0.02
    )


def _border(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not subject.uses_alpha or subject.flat_alpha or subject.wraps or t.distance > 0 or min(t.width, t.height) < 8:
        return []
    if t.traits.cells:
        return []  # cells have borders of their own
    a = t.alpha
    rim = border_of(a)
    reached = float((rim > FAINTEST).mean())
    if reached == 0 or reached >= MOST_BORDER or turned_round(t) > 0:
        return []
    if all(_meets(a, axis) for axis in (0, 1) if max(np.take(a, (0, -1), axis).max(axis=1)) > FAINTEST):
        return []  # it repeats
    sides = dict(zip(("top", "bottom", "left", "right"), cut_soft(a), strict=True))
    counts = {k: int(v.sum()) for k, v in sides.items()}
    worst = max(counts, key=lambda k: counts[k])
    if counts[worst] < max(4, LEAST_CUT * sides[worst].size):
        return []
    edges = {"top": a[0], "bottom": a[-1], "left": a[:, 0], "right": a[:, -1]}
    place = {
        "top": (0, 0, t.width, 1),
        "bottom": (0, t.height - 1, t.width, 1),
        "left": (0, 0, 1, t.height),
        "right": (t.width - 1, 0, 1, t.height),
    }[worst]
    named = joined(", ", (k for k, n in counts.items() if n >= 4))
    share = float((rim > 0).mean())
    largest = float(max(edges[k][v].max() for k, v in sides.items() if v.any()))
    mean = float(np.concatenate([edges[k][v] for k, v in sides.items()]).mean())
    return [
        Finding(
            "border",
            subject.name,
            share * 100,
            "% of the border",
            Message(
                "Soft alpha runs out of the picture ({named}): {share:.1%} of the border is reached, "
                "and where it is cut alpha is up to {largest:.2f}.",
                named=named,
                share=share,
                largest=largest,
            ),
            "The shape is cut off in a straight line, and with clamped addressing its border texels "
            "are drawn out into streaks.",
            place,
            _keep_in(subject),
            {"largest": float(rim.max()), "sides": named},
            weight=255 * mean * sum(counts.values()) / rim.size,
        )
    ]


def _keep_in(subject: Subject) -> Repair:
    """Layers fade along a ragged line of their own; a picture that came as it is, straight."""
    t = subject.texture
    if subject.layered:
        guard = EdgeFade(on=True, width=round(_fade(t) / min(t.width, t.height), 3))
        return mend(subject, "Turn the border guard on", layers={"guard": guard})
    return mend(subject, "Clear the border softly", (ClearBorder(width=1, soft=_fade(t)),))


def _fade(t: Texture) -> float:
    """Texels over which a cut border is brought back: an eighth of the shorter side, at least 2."""
    return float(max(2, min(t.width, t.height) // 8))


CHECKS = (
    Check("no-alpha", "No alpha", _no_alpha, "alpha"),
    Check("constant-alpha", "Alpha all one value", _constant, "alpha"),
    Check("inverted", "Alpha looks inverted", _inverted, "alpha", Look(show="alpha")),
    Check("border", "Alpha at the border", _border, "edges", Look(layout="border")),
)

"""Checks of the alpha itself: is there one, does it say anything, does it reach the border."""

import numpy as np

from mivex.core.base.messages import Message, joined
from mivex.core.base.types import Floats, Mask
from mivex.core.findings.base import Check, Subject, mend
from mivex.core.findings.finding import Finding, Look, Repair, whole
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
LEAST_CUT, LEAST_FAINT, LEAST_HARD = 0.03, 0.1, 0.12
"""Share of a side that must be cut for it to count: of soft alpha, of faint alpha, of a hard shape."""
BARELY = 0.012
"""Alpha that is seen at all: three codes of 255 over black or white."""
INSIDE, LEAST_INSIDE, MOSTLY = 0.9, 0.05, 0.9
"""Alpha below which a texel is not solid; share of the picture that must be so; share of the border of one colour."""
DRAWN = 45.0
"""Colours that vary by so much, of 255, under what is not solid are a drawing: of clean drawn frames and sheets none
has that behind a border of one colour."""
FLAT, EVEN = 0.03, 0.25
"""A border within this of one colour was painted flat; within that, it is a lit and grainy backdrop."""


def _make_alpha(subject: Subject) -> Repair:
    """Guess how the picture wants its alpha made: over a flat colour, off a photographed one, or by brightness."""
    t = subject.texture
    rim = border_of(t.values[..., :3])
    # The median of the border: a shape that touches it does not move the colour of the ground.
    middle = np.median(rim, axis=0)
    off = np.abs(rim - middle).max(axis=1)
    if (off < FLAT).mean() > 0.9:
        # To the last bit: a rounded colour would leave a trace of alpha everywhere, and nothing would be clear.
        r, g, b = (float(v) for v in middle)
        return mend(subject, "Make alpha from the backdrop", (AlphaFrom(source="matte", matte=(r, g, b)),))
    # A ground of a strong colour is a screen to be keyed; a grey one is told from the shape by brightness alone.
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
    # Nineteen twentieths of the border: a subject may stand out of the picture at its foot.
    if (rim >= 0.95).mean() < 0.95 or (middle <= 0.05).mean() < 0.3:
        return 0.0
    rgb = t.values[..., :3]
    clear, solid = alpha <= 0.05, alpha >= 0.95
    # In float64: a million float32 texels added up lose the fourth digit, which the limits below ask for.
    spread = [float(rgb[m].std(axis=0, dtype=np.float64).max()) * 255 for m in (clear, solid)]
    steps = [_local_variation(rgb, m) for m in (clear, solid)]
    # What is under clear texels must be livelier both as a whole and from texel to texel: noise is one, a gradient
    # the other.
    drawn = spread[0] >= spread[1] + 2 and steps[0] >= steps[1] + 0.25
    if not drawn and spread[0] < 2 * spread[1] + 4:
        return 0.0
    return float(rim.mean() - middle.mean())


def flat_surround(t: Texture) -> tuple[float, float]:
    """How far the border is solid and of one colour, while what is not solid holds a drawing.

    What was left clear round a shape has one colour, mostly; turned round, that colour stands solid along the border.

    Returns
    -------
    by : float
        Mean alpha along the border less the mean of what is not solid; 0 where the border is not such a surround.
    drawn : float
        Standard deviation of the colour of what is not solid, the largest channel, of 255.
    """
    alpha, rgb = t.alpha, t.values[..., :3]
    rim, inner = border_of(alpha), alpha < INSIDE
    if min(alpha.shape) < 8 or (rim >= 0.95).mean() < 0.95 or inner.mean() < LEAST_INSIDE:
        return 0.0, 0.0
    colours = border_of(rgb)
    middle = np.median(colours, axis=0)
    if (np.abs(colours - middle).max(axis=1) < FLAT).mean() < MOSTLY or np.abs(rgb[inner] - middle).max(
        axis=1
    ).mean() < FLAT:
        return 0.0, 0.0
    return float(rim.mean() - alpha[inner].mean()), float(rgb[inner].std(axis=0, dtype=np.float64).max()) * 255


def _inverted(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not subject.uses_alpha or subject.flat_alpha or t.distance > 0:
        return []
    by, drawn = turned_round(t), DRAWN
    if by <= 0:
        by, drawn = flat_surround(t)
    if by <= 0:
        return []
    return [
        Finding(
            "inverted",
            subject.name,
            by,
            "alpha",
            Message(
                "Alpha looks turned round: the border is solid, yet the drawing lies under what is clear; "
                "the means differ by {by:.2f}.",
                by=by,
            ),
            "The surroundings cover what lies behind, and the shape itself is a hole.",
            whole(t),
            mend(subject, "Invert the alpha", (InvertAlpha(),)),
            weight=100 * by,
            certainty="likely" if drawn >= DRAWN else "possible",
        )
    ]


def cut_soft(alpha: Floats, faintest: float = FAINTEST) -> tuple[Mask, Mask, Mask, Mask]:
    """Border texels (top, bottom, left, right) where soft alpha runs out of the picture.

    A texel counts where it is neither faint nor solid and the alpha of the next two texels inwards
    differs little from its own. At the outline of a hard shape that touches the border it rises at once.
    """

    def side(rows: Floats) -> Mask:
        a, b, c = rows[0], rows[min(1, len(rows) - 1)], rows[min(2, len(rows) - 1)]
        soft = (a > faintest) & (a < SOLID)
        # Three texels inwards: two steps, so that a hard outline just inside the border is not taken for a gentle end.
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


def _cut_sides(alpha: Floats) -> tuple[dict[str, Mask], bool]:
    """Texels of each side where the shape is cut, and whether that is likely a mistake.

    Likely: soft alpha runs out. Possible: it is so faint that only a bright or a dark backdrop shows it; or a hard shape
    ends in a straight line at one side, where all other sides are clear.
    """
    names = ("top", "bottom", "left", "right")
    soft = dict(zip(names, cut_soft(alpha), strict=True))
    # Four texels at least: fewer are grain, on pictures of any size.
    if any(v.sum() >= max(4, LEAST_CUT * v.size) for v in soft.values()):
        return soft, True
    faint = dict(zip(names, cut_soft(alpha, BARELY), strict=True))
    if any(v.sum() >= max(4, LEAST_FAINT * v.size) for v in faint.values()):
        return faint, False
    sides = {"top": alpha[0], "bottom": alpha[-1], "left": alpha[:, 0], "right": alpha[:, -1]}
    seen = {k: v > FAINTEST for k, v in sides.items()}
    touched = [k for k in names if seen[k].mean() >= LEAST_HARD]
    none = {k: np.zeros(v.shape, bool) for k, v in seen.items()}
    # A hard cut on one side only: art that stands on its foot; on several sides it fills its box.
    if len(touched) == 1 and all(seen[k].mean() < LEAST_CUT for k in names if k not in touched):
        return none | {touched[0]: seen[touched[0]]}, False
    return none, False


def _border(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not subject.uses_alpha or subject.flat_alpha or subject.wraps or t.distance > 0 or min(t.width, t.height) < 8:
        return []
    if t.traits.cells:
        return []  # cells have borders of their own
    a = t.alpha
    rim = border_of(a)
    reached = float((rim > FAINTEST).mean())
    # Turned-round alpha touches every border; that finding says it, and this one would say it again.
    if reached >= MOST_BORDER or turned_round(t) > 0 or not (rim > BARELY).any():
        return []
    reaching = [axis for axis in (0, 1) if max(np.take(a, (0, -1), axis).max(axis=1)) > FAINTEST]
    if reaching and all(_meets(a, axis) for axis in reaching):
        return []  # it repeats
    sides, sure = _cut_sides(a)
    counts = {k: int(v.sum()) for k, v in sides.items()}
    worst = max(counts, key=lambda k: counts[k])
    if not counts[worst]:
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
            certainty="likely" if sure else "possible",
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

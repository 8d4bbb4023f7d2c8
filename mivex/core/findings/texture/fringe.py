"""Is hidden colour seen when the texture is filtered? What is measured is `mivex.core.picture.fringes`.

Nearly every straight texture has a fringe somewhere. It is a finding where what
shows of it, figure times area, is worth the artist's time, and where a repair
takes most of that away.
"""

from dataclasses import replace

import numpy as np

from mivex.core.base.lazy import Lazy
from mivex.core.base.messages import Message, term
from mivex.core.base.types import Floats
from mivex.core.findings.base import Check, Subject, mend
from mivex.core.findings.finding import Cost, Finding, Look, Repair
from mivex.core.picture.files import read_picture
from mivex.core.picture.fringes import LevelFringe, fringe_at, fringe_map
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import LUMINANCE, hex_of, to_display
from mivex.core.pixels.mips import MipChain, build_chain
from mivex.core.pixels.nearest import nearest
from mivex.core.prepare.base import Context, Surface
from mivex.core.prepare.spread import Spread, trusted
from mivex.core.prepare.spread import run as spread
from mivex.core.proof.cost import change_of

cv2 = Lazy("cv2")

LIMIT = 1.0
"""What shows of a fringe, figure times area, above which it is a finding (of 255)."""
CURED = 0.5
"""A repair is offered where it takes away this share of what shows."""
NEAR_LEVELS, LEAST_SIDE = 3, 16
"""Levels that are seen large enough to matter."""
TRUST, THIN = 0.5, 0.12
"""Where fewer of the seen texels than this share are fainter than that, the faint ones are only an edge, whose
colour may be replaced too; elsewhere they are the shape itself, or its shadow."""


def judged(rows: list[LevelFringe]) -> list[LevelFringe]:
    """The levels that count: those near enough to be seen."""
    return [r for r in rows if r.level <= NEAR_LEVELS and min(r.width, r.height) >= LEAST_SIDE] or rows[:1]


def replace_hidden(texture: Texture, solid_from: float = 0.0) -> Texture:
    """The texture as `spread` would leave it: texels that are not trusted hold the nearest trusted colour."""
    surface = Surface(texture.values, traits=texture.traits)
    fixed = spread(surface, Spread(solid_from=solid_from), Context(read_picture))
    return replace(texture, values=fixed.values, key="")


def _spread_chain(t: Texture) -> MipChain:
    """The chain of the texture with its edge colour spread outwards; without a texture of its own."""
    index, _ = nearest(trusted(t.alpha, 0.0))

    def fill(out: Floats) -> None:
        flat = t.linear.reshape(-1, 4)
        for c in range(3):
            out[..., c] = flat[:, c][index]
        out[..., 3] = t.alpha

    return build_chain(t.values.shape[:2], fill)


def _leak(t: Texture) -> tuple[str, bool]:
    """Colour of the clear texels that touch the shape, as code, and whether it is darker than the shape's edge."""
    seen = (t.alpha > 0).astype(np.uint8)
    ring = (cv2.dilate(seen, np.ones((5, 5), np.uint8)) > 0) & (seen == 0)
    edge = (cv2.erode(seen, np.ones((5, 5), np.uint8)) == 0) & (seen > 0)
    if not ring.any() or not edge.any():
        return "colour", True
    inside, outside = (t.linear[m][:, :3].mean(axis=0, dtype=np.float64).astype(np.float32) for m in (edge, ring))
    shown = to_display(outside) if t.meaning == "colour" else outside
    r, g, b = (float(v) for v in shown)
    return hex_of((r, g, b)), bool(outside @ LUMINANCE < inside @ LUMINANCE)


def _repair(subject: Subject, worst: LevelFringe) -> tuple[Repair, float] | None:
    """The repair that takes most of what shows away, and what then still shows; the one that alters nothing seen first."""
    t = subject.texture
    if bool((t.alpha <= 0).any()):
        cured = fringe_at(t, worst.level, wrap=subject.wraps, straight=_spread_chain(t)).shows
        if worst.shows - cured > CURED * worst.shows:
            return mend(subject, "Spread edge colour outwards", (Spread(method="nearest"),)), cured
    soft = (t.alpha > 0) & (t.alpha < TRUST)
    if not 0 < int(soft.sum()) < THIN * int((t.alpha > 0).sum()):
        return None
    firm = replace_hidden(t, TRUST)
    cured = fringe_at(firm, worst.level, wrap=subject.wraps).shows
    if worst.shows - cured <= CURED * worst.shows:
        return None
    cost = change_of(t, firm)
    label = Message("Repaint faint edges too (changes what shows by up to {figure:.0f} of 255)", figure=cost.figure)
    step = Spread(method="nearest", solid_from=TRUST)
    return mend(subject, label, (step,), cost=Cost(cost.figure, cost.share, cost.picture)), cured


def _measure(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not subject.uses_alpha or subject.flat_alpha or t.premultiplied or t.distance > 0:
        return []
    worst = max(judged(subject.fringes), key=lambda r: r.shows)
    if worst.shows <= LIMIT:
        return []
    found = _repair(subject, worst)
    if found is None:
        # Colour and alpha vary together inside the shape: true of any straight texture, and not hidden colour.
        return []
    repair, after = found
    seen = fringe_map(t, worst.level, wrap=subject.wraps)
    y, x = np.unravel_index(int(seen.argmax()), seen.shape)
    size = 1 << worst.level
    hidden, darker = _leak(t)
    tone = "dark" if darker else "light"
    where = "between texels at full size" if worst.level == 0 else Message("at mip level {level}", level=worst.level)
    return [
        Finding(
            "fringe",
            subject.name,
            worst.p99,
            "of 255",
            Message(
                "A {tone} rim: hidden {hidden} leaks into the edge {where}; 99 % of texels differ by "
                "up to {p99:.1f} of 255, the worst by {maximum:.1f}.",
                tone=term(tone),
                hidden=hidden,
                where=term(where),
                p99=worst.p99,
                maximum=worst.maximum,
            ),
            Message(
                "Filtering mixes the colour under clear texels into the edge: a {tone} rim that grows with distance.",
                tone=term(tone),
            ),
            (max(0, int(x) * size - size), max(0, int(y) * size - size), 3 * size, 3 * size),
            repair,
            {
                "level": worst.level,
                "maximum": worst.maximum,
                "p99": worst.p99,
                "mean": worst.mean,
                "shows": worst.shows,
                "after_repair": after,
                "limit": LIMIT,
                "rim": tone,
                "hidden": hidden,
            },
            weight=worst.shows,
        )
    ]


def _look(finding: Finding) -> Look:
    return Look(show="fringe", level=int(finding.details["level"]))


CHECKS = (Check("fringe", "Fringe when filtered", _measure, "edges", _look),)

"""Colour that is not seen, or was not meant to be: read the wrong way, left behind by a resize, smeared by compression."""

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.messages import Message
from mivex.core.base.types import Floats
from mivex.core.findings.base import Check, Subject, mend
from mivex.core.findings.finding import Finding, Look
from mivex.core.findings.texture.fringe import LIMIT, judged
from mivex.core.findings.texture.matte_fit import on_screen
from mivex.core.findings.texture.outline import SOFT, Outline, outline_of
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blocks import compressed
from mivex.core.pixels.colour import hex_of, to_display, to_linear
from mivex.core.pixels.nearest import nearest
from mivex.core.pixels.ranks import percentile
from mivex.core.prepare.spread import Spread

MOST = 4000
"""Texels that are asked; more say the same."""
BLOCKS = 600
"""Blocks of texels that are compressed."""
ENOUGH = 60
"""Soft texels below which nothing is said."""
EXPLAINED, SHOWS = 0.85, 8.0
"""Part of the departure that a division by alpha must explain; error on screen, of 255, that is worth a word."""
FULL, BEYOND = 0.998, 0.2
"""Colour as bright as can be; share of the soft texels that must be so where the source is read as premultiplied."""
APART = 0.15
"""A ground must differ from the shape by so much to be told from it."""
AT_GROUND, BETWEEN, OWN = 0.2, 0.25, 0.15
"""Shares of the soft texels: least of the ground's colour, most that lie between, least of the shape's own."""
THIN = 2.5
"""Texels from solid ones: a rim that a resize leaves is no wider."""
SMEARED, CURED, LEAST_LEAK = 12.0, 0.5, 4.0
"""Error on screen after block compression, of 255; part of it that spreading must take away; what filtering must
show somewhere for there to be anything hidden."""


def _some(places: NDArray, most: int = MOST) -> NDArray:
    """At most so many of some places: one, by chance, from each of as many stretches."""
    if len(places) <= most:
        return places
    # A fixed seed, so that the same picture always gives the same finding.
    at = (np.arange(most) + np.random.default_rng(7).random(most)) * (len(places) / most)
    return places[at.astype(np.int64)]


def _pairs(t: Texture, o: Outline, low: float, high: float) -> tuple[Floats, Floats, NDArray, NDArray]:
    """Soft texels of alphas between two: colour, nearest solid colour (n, 3), alpha, and distance to it (n,)."""
    a = o.alpha.reshape(-1)[o.soft]
    soft = _some(o.soft[(a > low) & (a < high)])
    rgb = t.values.reshape(-1, t.values.shape[2])
    return (
        rgb[soft, :3],
        rgb[o.index.reshape(-1)[soft], :3],
        o.alpha.reshape(-1)[soft].astype(np.float64),
        o.distance.reshape(-1)[soft],
    )


def _box(mask: NDArray[np.bool_]) -> tuple[int, int, int, int]:
    y, x = np.flatnonzero(mask.any(axis=1)), np.flatnonzero(mask.any(axis=0))
    return int(x[0]), int(y[0]), int(x[-1] - x[0] + 1), int(y[-1] - y[0] + 1)


def _asked(subject: Subject) -> Outline | None:
    t = subject.texture
    if not subject.uses_alpha or subject.flat_alpha or t.premultiplied or t.distance > 0 or t.meaning == "data":
        return None
    return outline_of(t, ENOUGH)


def _explained_by_division(C: Floats, F: Floats, a: NDArray, top: float) -> float:
    """Part of the departure from the nearest solid colour that a division by alpha explains; 0 where it is not the best."""
    w = a[:, None]
    whole = max(float((w * (C - F) ** 2).sum()), 1e-9)
    # What is left of the departure after the division, in either space: tools divide display values, receivers
    # light.
    left = [
        float((w * (C - np.clip(P, 0, top)) ** 2).sum()) / whole
        for P in (F / w, to_display(np.clip(to_linear(np.clip(F, 0, 1)) / w, 0, 1).astype(np.float32)))
    ]
    # A rim of one colour of its own would explain it as well; then the division is not what happened.
    own = float((w * (C - (w * C).sum(0) / w.sum()) ** 2).sum()) / whole
    return 1 - min(left) if min(left) <= 0.5 * own else 0.0


def _divided(subject: Subject) -> list[Finding]:
    """Straight colour that was divided by alpha, as if it had been multiplied by it."""
    o = _asked(subject)
    if o is None or subject.has_step("unmatte"):
        return []
    t = subject.texture
    C, F, a, _ = _pairs(t, o, 0.1, 0.85)
    # Nearly black stays nearly black when it is divided: such texels tell nothing.
    told = F.max(axis=1) > 0.08 if len(C) else np.zeros(0, bool)
    C, F, a = C[told], F[told], a[told]
    if len(C) < ENOUGH:
        return []
    # Art of floats may hold light beyond 1, which a division reaches without being cut.
    top = max(1.0, float(t.values.max()))
    explained = _explained_by_division(C, F, a, top)
    # Multiplied colour is no greater than alpha: divided by it, nothing is beyond 1, but light that covers nothing.
    beyond, inside = float((C.max(axis=1) >= FULL).mean()), float((F.max(axis=1) >= FULL).mean())
    declared = subject.stored_premultiplied and beyond >= BEYOND and inside <= beyond / 3
    if not declared and explained < EXPLAINED:
        return []
    seen = np.clip(C, 0, 1).astype(np.float32), F.astype(np.float32), a.astype(np.float32)
    error = percentile(on_screen(*seen, True, False), 95)
    if error < SHOWS:
        return []
    light = subject.material is not None and subject.material.blend in ("Premultiplied", "Additive")
    straight = mend(subject, "Read it as straight", source={"alpha_stored": "straight"})
    return [
        Finding(
            "not-premultiplied",
            subject.name,
            error,
            "of 255",
            Message(
                "{beyond:.0%} of the soft texels are as bright as can be, {inside:.0%} of the solid ones: it looks as if "
                "straight art had been divided by its alpha, by up to {error:.0f} of 255 on screen.",
                beyond=beyond,
                inside=inside,
                error=error,
            ),
            "Read as premultiplied, straight art gets a burnt rim: every soft texel is brighter than it was drawn.",
            _box((o.alpha > 0.02) & (o.alpha < 0.96)),
            straight if subject.stored_premultiplied and subject.overlay else None,
            {"explained": round(explained, 3), "beyond": round(beyond, 3), "error": round(error, 2)},
            weight=error * float(len(o.soft)) / max(int((t.alpha > 0).sum()), 1),
            certainty="likely" if declared and not light else "possible",
        )
    ]


def _left_behind(subject: Subject) -> list[Finding]:
    """A rim in the ground's own colour: alpha was resized or grown, and colour was not."""
    o = _asked(subject)
    if o is None:
        return []
    t = subject.texture
    clear = _some(np.flatnonzero(o.alpha <= 0.004))
    if clear.size < ENOUGH:
        return []
    rgb = t.values.reshape(-1, t.values.shape[2])[:, :3]
    held = rgb[clear]
    ground = np.median(held, axis=0)
    # Four fifths of one colour within five codes: exporters fill what is clear evenly, painters do not.
    if float((np.abs(held - ground).max(axis=1) < 0.02).mean()) < 0.8:
        return []
    C, F, a, far = _pairs(t, o, 0.1, 0.9)
    # Where ground and shape are of one colour a rim in the ground's colour cannot be told, nor seen.
    told = np.abs(ground - F).max(axis=1) > APART if len(C) else np.zeros(0, bool)
    C, F, a, far = C[told], F[told], a[told], far[told]
    if len(C) < ENOUGH or float(np.median(far)) > THIN:
        return []
    way = ground - F
    # How far each texel has gone from the shape to the ground, and how far it lies off that way.
    t_ = ((C - F) * way).sum(axis=1) / (way * way).sum(axis=1)
    off = np.abs(C - F - t_[:, None] * way).max(axis=1)
    at_ground, between = (t_ > 0.85) & (off < 0.06), (t_ >= 0.2) & (t_ <= 0.85)
    own = (t_ < 0.2) & (off < 0.2)
    # Three shares together: many at the ground, few between (a blend would be between), some still the shape's own.
    if at_ground.mean() < AT_GROUND or between.mean() > BETWEEN or own.mean() < OWN:
        return []
    seen = C.astype(np.float32), F.astype(np.float32), a.astype(np.float32)
    error = percentile(on_screen(*seen, True, False), 95)
    if error < SHOWS:
        return []
    r, g, b = (float(v) for v in ground)
    dark = max(r, g, b) < 0.2
    return [
        Finding(
            "ground-rim",
            subject.name,
            error,
            "of 255",
            Message(
                "{share:.0%} of the soft outline has the very colour that lies under the clear texels, {hex_of}: on screen "
                "it shows by up to {error:.0f} of 255.",
                share=float(at_ground.mean()),
                hex_of=hex_of((r, g, b)),
                error=error,
            ),
            "Alpha was resized, grown or smoothed by itself, and colour was not: the shape wears a seam of its old ground.",
            _box((o.alpha > 0.02) & (o.alpha < 0.96)),
            mend(subject, "Repaint the outline with the shape's colour", (Spread(method="nearest", solid_from=0.9),)),
            {
                "ground": [round(v, 3) for v in (r, g, b)],
                "share": round(float(at_ground.mean()), 3),
                "error": round(error, 2),
            },
            weight=error * float(len(o.soft)) / max(int((t.alpha > 0).sum()), 1),
            # A thin dark outline that was drawn looks the same.
            certainty="possible" if dark else "likely",
        )
    ]


def _blocks_of(values: Floats, which: NDArray | None = None) -> Floats:
    """Blocks of 4 × 4 texels of a picture (h, w, c), all or some, as (n, 16, c)."""
    h, w, c = values.shape[0] // 4 * 4, values.shape[1] // 4 * 4, values.shape[2]
    rows = values[:h, :w].reshape(h // 4, 4, w // 4, 4, c).transpose(0, 2, 1, 3, 4)
    blocks = rows.reshape(-1, 16, c)
    return np.ascontiguousarray(blocks if which is None else blocks[which])


# Whole blocks only: what is left over at the border is compressed with texels that the file does not have.


def _block_error(blocks: Floats) -> float:
    """What compression does to the seen texels of some blocks on screen: 95th percentile, of 255."""
    # Blocks in one long strip, four texels high: the compressor takes a picture, and blocks do not know each other.
    strip = np.ascontiguousarray(blocks.reshape(-1, 4, 4, 4).transpose(1, 0, 2, 3).reshape(4, -1, 4))
    back = compressed(strip).reshape(4, -1, 4, 4).transpose(1, 0, 2, 3).reshape(-1, 16, 4)
    seen = blocks[..., 3] > SOFT
    before, after, a = blocks[seen][:, :3], back[seen][:, :3], blocks[seen][:, 3]
    return percentile(on_screen(before, np.ascontiguousarray(after), np.ascontiguousarray(a), True, False), 95)


def _smeared(subject: Subject) -> list[Finding]:
    """Hidden colour that blocks of 4 × 4 texels mix into the edge."""
    o = _asked(subject)
    t = subject.texture
    if o is None or min(t.width, t.height) < 8:
        return []
    fringe = max(judged(subject.fringes), key=lambda r: r.shows)
    if fringe.shows > LIMIT or fringe.maximum < LEAST_LEAK:
        return []  # filtering shows it already, and that is the finding; or what is hidden has the edge's own colour
    alpha = _blocks_of(o.alpha[..., None])[..., 0]
    # Blocks that hold both clear and clearly seen texels: only there can what is hidden reach what is seen.
    mixed = _some(np.flatnonzero((alpha <= 0).any(axis=1) & (alpha > 0.1).any(axis=1)), BLOCKS)
    if len(mixed) < ENOUGH:
        return []
    blocks = _blocks_of(t.values, mixed)
    before = _block_error(blocks)
    if before < SMEARED:
        return []
    # The repair is tried before it is named: what it would not cure is another fault.
    index, _ = nearest(o.alpha > 0)
    filled = t.values.copy()
    filled[..., :3] = t.values.reshape(-1, 4)[index, :3]
    after = _block_error(_blocks_of(filled, mixed))
    if after > (1 - CURED) * before:
        return []
    return [
        Finding(
            "block-smear",
            subject.name,
            before,
            "of 255",
            Message(
                "In blocks of 4 × 4 texels the hidden colour shares two colours with the edge: compressed so, it is off "
                "by up to {before:.0f} of 255; with the edge's own colour spread outwards, by {after:.0f}.",
                before=before,
                after=after,
            ),
            "Most games compress their textures in such blocks: a rim appears there that no picture here shows.",
            _box((o.alpha > SOFT) & (o.alpha < 0.96)),
            mend(subject, "Spread edge colour outwards", (Spread(method="nearest"),)),
            {"before": round(before, 2), "after": round(after, 2)},
            weight=0.05 * before,
            certainty="possible",
        )
    ]


CHECKS = (
    Check("not-premultiplied", "Read as premultiplied", _divided, "source", Look(show="over", backdrop="black")),
    Check("ground-rim", "A rim of the ground", _left_behind, "edges", Look(show="over", backdrop="black")),
    Check("block-smear", "Smeared by compression", _smeared, "edges", Look(show="colour")),
)
"""Registered."""

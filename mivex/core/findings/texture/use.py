"""Checks of a texture against what it is used for: colour or data, repetition, holes in the distance."""

import numpy as np

from mivex.core.base.lazy import Lazy
from mivex.core.base.messages import Message
from mivex.core.base.types import Floats
from mivex.core.findings.base import Check, Subject, mend
from mivex.core.findings.finding import Finding, Look, whole
from mivex.core.picture.picture import looks_like_normals
from mivex.core.pixels.colour import to_display
from mivex.core.pixels.coverage import coverage
from mivex.core.pixels.mips import halve
from mivex.core.prepare.keep_coverage import KeepCoverage
from mivex.core.prepare.tiling import MakeTile, seams

cv2 = Lazy("cv2")

SEAM_RATIO, SEAM_STEP = 2.5, 3.0
"""A seam is found where the step across is so many times the step inside, and at least so much of 255."""
LEAST_SIDE = 32
"""Holes that close only in levels smaller than this are too far away to matter."""


def _twice(values: Floats) -> Floats:
    return halve(halve(np.ascontiguousarray(values, np.float32)))


def filtered_apart(stored: Floats) -> float:
    """Largest mean difference, of 255, between filtering stored values as colour and as data, two levels down."""
    from mivex.core.pixels.colour import to_linear

    linear = stored.copy()
    linear[..., :3] = to_linear(stored[..., :3])
    a, b = to_display(_twice(linear)[..., :3]), _twice(stored)[..., :3]
    return float(np.abs(a - b).mean(axis=(0, 1)).max() * 255)


def _meaning(subject: Subject) -> list[Finding]:
    t, m = subject.texture, subject.material
    if subject.has_step("pack", "take-channel", "normal-from-height", "recolour") or min(t.width, t.height) < 4:
        return []
    normals = looks_like_normals(t.values)
    if t.meaning == "colour" and normals:
        apart = filtered_apart(t.values)
        return [
            Finding(
                "meaning",
                subject.name,
                apart,
                "of 255",
                Message(
                    "The texels are unit vectors, as in a normal map, but are filtered as colour: off by "
                    "{apart:.1f} of 255 two levels down.",
                    apart=apart,
                ),
                "Directions are bent towards one side; lit surfaces look inflated or dull.",
                whole(t),
                mend(subject, "Take it as data", source={"meaning": "data"}) if m else None,
                weight=apart,
            )
        ]
    if t.meaning == "data" and m is not None and not normals:
        rgb = t.values[..., :3]
        tinted = float(np.ptp(rgb, axis=-1).mean() * 255)
        apart = filtered_apart(t.values)
        if tinted < 6 or apart < 0.5:
            return []
        return [
            Finding(
                "meaning",
                subject.name,
                apart,
                "of 255",
                Message(
                    "It is drawn as colour but taken as data: filtering is off by {apart:.1f} of 255 two "
                    "levels down, and its light is not decoded.",
                    apart=apart,
                ),
                "It looks washed out beside everything else, and edges change their brightness with distance.",
                whole(t),
                mend(subject, "Take it as colour", source={"meaning": "colour"}),
                weight=apart,
            )
        ]
    return []


def _seam(subject: Subject) -> list[Finding]:
    t = subject.texture
    if subject.material is None or not subject.material.tiling:
        return []
    bad = [s for s in seams(t) if s.ratio > SEAM_RATIO and s.across > SEAM_STEP]
    if not bad:
        return []
    worst = max(bad, key=lambda s: s.ratio)
    way = "both" if len(bad) == 2 else "across" if bad[0].sides.startswith("left") else "down"
    place = (t.width - 2, 0, 2, t.height) if worst.sides.startswith("left") else (0, t.height - 2, t.width, 2)
    return [
        Finding(
            "seam",
            subject.name,
            worst.ratio,
            "times the inner step",
            Message(
                "Where {sides} meet, the step is {across:.1f} of 255; inside it is {inside:.1f}.",
                sides=worst.sides,
                across=worst.across,
                inside=worst.inside,
            ),
            "The repetition shows as a grid of lines.",
            place,
            mend(subject, "Make it tile", (MakeTile(way=way),)),  # type: ignore[arg-type]
            {s.sides.replace(" ", "_"): {"across": s.across, "inside": s.inside} for s in bad},
            weight=worst.across * 0.1,
        )
    ]


def holes(alpha: Floats, cutoff: float) -> np.ndarray:
    """Areas in texels of the holes: connected regions below the cutoff that do not reach the border."""
    clear = (alpha < np.float32(cutoff)).astype(np.uint8)
    count, label, stats, _ = cv2.connectedComponentsWithStats(clear, connectivity=4)
    open_ones = np.unique(np.concatenate([label[0], label[-1], label[:, 0], label[:, -1]]))
    inner = np.setdiff1d(np.arange(1, count), open_ones)
    return np.asarray(stats[inner, cv2.CC_STAT_AREA])


def _holes(subject: Subject) -> list[Finding]:
    t, m = subject.texture, subject.material
    if m is None or m.blend not in ("Cutout", "Dithered") or subject.flat_alpha or t.coverage > 0 or t.distance > 0:
        return []
    cutoff = m.cutoff if m.blend == "Cutout" else 0.5
    sizes = holes(t.alpha, cutoff)
    sizes = sizes[sizes >= 4]
    if sizes.size < 4:
        return []
    at0 = coverage(t.alpha, cutoff)
    for level in range(1, t.mips.levels):
        a = t.mips.level(level)[..., 3]
        if min(a.shape) < LEAST_SIDE:
            break
        left = int(holes(a, cutoff).size)
        if left > sizes.size / 2:
            continue
        across = float(np.sqrt(np.median(sizes))) / (1 << level)
        now = coverage(a, cutoff)
        return [
            Finding(
                "holes",
                subject.name,
                float(level),
                "from level",
                Message(
                    "At mip level {level}, {size} of {size2} holes have closed; the usual hole is "
                    "{across:.1f} texels across there, and coverage has gone from {at0:.0%} to {now:.0%}.",
                    level=level,
                    size=sizes.size - left,
                    size2=sizes.size,
                    across=across,
                    at0=at0,
                    now=now,
                ),
                "A screen or mesh turns into a plate, or vanishes, as it moves away.",
                whole(t),
                mend(
                    subject,
                    "Keep coverage in every level",
                    (KeepCoverage(cutoff=min(max(cutoff, 0.01), 0.99)),),
                    delivery={"format": "tif"},
                ),
                {"holes": int(sizes.size), "left": left},
                weight=255 * abs(now - at0) / (1 << level),
            )
        ]
    return []


CHECKS = (
    Check("meaning", "Colour or data", _meaning, "source"),
    Check("seam", "Seam when repeated", _seam, "source", Look(layout="tiles")),
    Check("holes", "Holes close in the distance", _holes, "edges", Look(layout="levels")),
)
"""Registered."""

"""Checks of a particle's life: birth and death, what drives what, frames, and copies of one look."""

import numpy as np

from mivex.core.base.messages import Message, term
from mivex.core.findings.base import Check, MotionSubject
from mivex.core.findings.finding import Finding, Look, Repair
from mivex.core.findings.motion.said import edit_of, found, parts_of, words_of
from mivex.core.motion.curves import Curve
from mivex.core.motion.model import TICKS
from mivex.core.project.edits import SetFields
from mivex.core.sheet.playing import lasts

FLASH = 0.25
"""Seconds: what lives no longer is meant to flash."""
ALIKE = 8
"""So many particles at once look like copies when nothing of them differs."""
GAP = 0.25
"""Share of the rate by which the end of a run may differ from its beginning."""


def _tint(s: MotionSubject) -> list[Finding]:
    rows = []
    for effect, _i, p, o in parts_of(s):
        colours = (
            (p.life.tint is not None and not (p.life.tint.steady and p.life.tint.stops[0].colour == (1.0, 1.0, 1.0)))
            or p.birth.tint[0] != p.birth.tint[1]
            or p.birth.tint[0] != (1.0, 1.0, 1.0)
            or effect.dials.tint != (1.0, 1.0, 1.0)
        )
        if colours and not o.material.takes_tint:
            rows.append(
                found(
                    "motion-tint",
                    effect,
                    p,
                    o,
                    1,
                    "material",
                    Message(
                        "{words_of} tints its particles, and the material of “{name}” ignores it.",
                        words_of=term(words_of(effect, p)),
                        name=o.name,
                    ),
                    "Colour settings do nothing.",
                    repair=Repair(
                        "Let the material take the tint", (SetFields(o.id, "material", (("takes_tint", True),)),)
                    ),
                    weight=20.0,
                )
            )
    return rows


def _erosion(s: MotionSubject) -> list[Finding]:
    rows = []
    for effect, i, p, o in parts_of(s):
        e = o.material.erosion
        # A lane that stays at 0 is the same as none.
        wears = p.life.erosion is not None and not (p.life.erosion.steady and p.life.erosion.points[0][1] == 0)
        driven = e.form != "none" and e.by == "life"
        if wears == driven:
            continue
        if wears:
            form = e.form if e.form != "none" else "soft"
            edit = SetFields(o.id, "material", (("erosion", e.model_copy(update={"form": form, "by": "life"})),))
            rows.append(
                found(
                    "motion-erosion",
                    effect,
                    p,
                    o,
                    1,
                    "lane",
                    Message(
                        "{words_of} wears its particles away, but the erosion of “{name}” ",
                        words_of=term(words_of(effect, p)),
                        name=o.name,
                    )
                    + (
                        "is driven by its slider."
                        if e.form != "none" and e.by == "slider"
                        else "is driven by the tint's alpha."
                        if e.form != "none"
                        else "is off."
                    ),
                    "The lane does nothing.",
                    repair=Repair("Drive erosion by life", (edit,)),
                    weight=18.0,
                )
            )
        # A dial that wears the whole effect drives erosion just as well.
        elif effect.dials.worn == 0:
            lane = Curve(points=((0.0, 0.0), (0.3, 0.0), (1.0, 1.0)))
            rows.append(
                found(
                    "motion-erosion",
                    effect,
                    p,
                    o,
                    1,
                    "material",
                    Message(
                        "Erosion of “{name}” is driven by life, and {words_of} has no lane for it.",
                        name=o.name,
                        words_of=term(words_of(effect, p)),
                    ),
                    "Nothing ever wears away.",
                    repair=Repair("Add the lane", (edit_of(effect, i, "life", erosion=lane),)),
                    weight=18.0,
                )
            )
    return rows


def _short(s: MotionSubject) -> list[Finding]:
    rows = []
    for effect, i, p, o in parts_of(s):
        n = len(s.textures[o.id].traits.cells)
        if n < 2 or o.sheet.play == "random":
            continue
        longest = p.birth.life[1]
        # Played again and again it has no end that a short life could cut off.
        if p.life.frame is None and p.birth.frame == "play" and o.sheet.play != "loop":
            # Judged by the shortest life: that one is cut off first.
            needs = lasts(n, o.sheet.play, o.sheet.rate)
            if p.birth.life[0] < needs - 1e-6:
                rows.append(
                    found(
                        "motion-short",
                        effect,
                        p,
                        o,
                        needs - p.birth.life[0],
                        "s",
                        Message(
                            "{words_of}: the sheet needs {needs:.2f} s, and particles live from {life:.2f} s.",
                            words_of=term(words_of(effect, p)),
                            needs=needs,
                            life=p.birth.life[0],
                        ),
                        "They die in the middle of their animation.",
                        repair=Repair("Play the sheet over their life", (edit_of(effect, i, "birth", frame="life"),)),
                        weight=12.0,
                    )
                )
        # By the longest life: where even that has fewer pictures than frames, some are shown to nobody.
        if longest * TICKS < n and (p.birth.frame == "life" or p.life.frame is not None):
            rows.append(
                found(
                    "motion-frames",
                    effect,
                    p,
                    o,
                    n - longest * TICKS,
                    "frames",
                    Message(
                        "{words_of}: {n} frames in {longest:.2f} s; at {ticks} pictures a second {n2} are never shown.",
                        words_of=term(words_of(effect, p)),
                        n=n,
                        longest=longest,
                        ticks=TICKS,
                        n2=n - int(longest * TICKS),
                    ),
                    "Memory for frames that nobody sees.",
                    weight=4.0,
                )
            )
        elif p.life.frame is not None or p.birth.frame == "first":
            # Four places a frame: a lane that only touches a frame between two places shows it for less than a picture.
            t = np.zeros(1) if p.life.frame is None else np.clip(p.life.frame.at(np.linspace(0, 1, 4 * n + 1)), 0, 1)
            shown = len(np.unique(np.minimum(np.floor(t * n), n - 1)))
            if shown < n:
                rows.append(
                    found(
                        "motion-frames",
                        effect,
                        p,
                        o,
                        n - shown,
                        "frames",
                        Message(
                            "{words_of} shows {shown} of the {n} frames of “{name}”.",
                            words_of=term(words_of(effect, p)),
                            shown=term(shown),
                            n=n,
                            name=o.name,
                        ),
                        "Memory for frames that nobody sees.",
                        weight=4.0,
                        shown=shown,
                    )
                )
    return rows


def _loop(s: MotionSubject) -> list[Finding]:
    rows = []
    for effect, i, p, o in parts_of(s):
        e = p.emission
        if e.runs != "loop" or e.rate_curve is None or e.rate == 0:
            continue
        # The next run begins where this one ends; what is seen of a stream is its step there, not its shape.
        first, last = (float(np.clip(e.rate_curve.at(x), 0, None)) for x in (0.0, 1.0))
        most = float(e.rate_curve.table.max())
        if most <= 0 or abs(first - last) <= GAP * most:
            continue
        points = (
            (*e.rate_curve.points[:-1], (1.0, first))
            if e.rate_curve.points[-1][0] == 1
            else (*e.rate_curve.points, (1.0, first))
        )
        rows.append(
            found(
                "motion-loop",
                effect,
                p,
                o,
                abs(first - last) * e.rate,
                "/s",
                Message(
                    "{words_of}: a run ends with {last:.0f} particles a second and the next begins with {first:.0f}.",
                    words_of=term(words_of(effect, p)),
                    last=last * e.rate,
                    first=first * e.rate,
                ),
                "The stream stutters at every run.",
                at=e.delay + e.duration,
                repair=Repair(
                    "End as it begins",
                    (edit_of(effect, i, "emission", rate_curve=Curve(points=points, smooth=e.rate_curve.smooth)),),
                ),
                weight=8.0,
            )
        )
    return rows


def _alike(s: MotionSubject) -> list[Finding]:
    rows = []
    for effect, i, p, o in parts_of(s):
        b, n = p.birth, len(s.textures[o.id].traits.cells)
        frames = n > 1 and (b.frame == "random" or o.sheet.play == "random")
        varied = (
            b.width[0] != b.width[1]
            or b.turn[0] != b.turn[1]
            or b.spin[0] != b.spin[1]
            or frames
            or (b.height is not None and b.height[0] != b.height[1])
            # Born one after the other, they are at different frames at any moment.
            or (n > 1 and b.frame in ("life", "play"))
            or (o.material.flow.strength > 0)
        )
        count = len(s.particles(effect, p))
        # Streaks and crossed panels hide their texture: copies of it are not recognised.
        if varied or count < ALIKE or p.facing.facing in ("stretched", "crossed"):
            continue
        values: dict[str, object] = {"width": (round(b.width[0] * 0.75, 4), round(b.width[1] * 1.25, 4))}
        # What stands upright is a figure; turned it would lie on its side.
        if p.facing.facing != "upright":
            values["turn"] = (-180.0, 180.0)
        rows.append(
            found(
                "motion-alike",
                effect,
                p,
                o,
                count,
                "particles",
                Message(
                    "{words_of}: {count} particles at once have one size, one turn and one frame.",
                    words_of=term(words_of(effect, p)),
                    count=count,
                ),
                "The eye finds the one texture again and again.",
                at=s.peak(effect, p),
                repair=Repair("Spread size and turn", (edit_of(effect, i, "birth", **values),)),
                weight=10.0,
            )
        )
    return rows


_LOOK = Look("stage")
CHECKS = (
    Check("motion-tint", "Tint that is ignored", _tint, "blend", _LOOK, "motion"),
    Check("motion-erosion", "Erosion driven by nothing", _erosion, "blend", _LOOK, "motion"),
    Check("motion-short", "Life shorter than the sheet", _short, "motion", _LOOK, "motion"),
    Check("motion-frames", "Frames never shown", lambda _s: [], "motion", _LOOK, "motion"),
    Check("motion-loop", "The stream jumps", _loop, "motion", _LOOK, "motion"),
    Check("motion-alike", "One look repeated", _alike, "motion", _LOOK, "motion"),
)
"""Registered; frames never shown are found with lives that are too short."""

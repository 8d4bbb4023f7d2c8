"""Check ``motion-pop``: particles that appear or go from one picture to the next, at birth, at death, or in between."""

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.messages import Message, term
from mivex.core.findings.base import Check, MotionSubject
from mivex.core.findings.finding import Finding, Look, Repair
from mivex.core.findings.motion.said import edit_of, found, parts_of, words_of
from mivex.core.motion.curves import PRESETS, Curve
from mivex.core.motion.model import TICKS, Effect, Emitter
from mivex.core.pixels.blends import BLENDS
from mivex.core.project.document import Overlay

POP = 12.0
"""Alpha of 255 with which a particle may appear or go without being seen to."""
SOON = 0.1
"""Seconds after birth in which an appearance is noticed."""
FLASH = 0.25
"""Seconds: what lives no longer is meant to flash."""
STEEP, LEAST_TICKS = 0.5, 15
"""Change of what is shown from one tick to the next that pops; ticks of a life from which that is looked for."""


def _shown(part: Emitter, overlay: Overlay, share: float) -> float:
    """How much of a particle there is at a share of its life, 0 to 1: opacity, size, erosion."""
    life = part.life
    a = part.birth.opacity[1] * (1.0 if life.opacity is None else float(np.clip(life.opacity.at(share), 0, 1)))
    if life.size is not None and float(life.size.at(share)) <= 0.02:
        return 0.0
    if overlay.material.erosion.form != "none" and overlay.material.erosion.by == "life" and life.erosion is not None:
        a *= 1 - float(np.clip(life.erosion.at(share), 0, 1))
    return a


def _pop(s: MotionSubject) -> list[Finding]:
    rows = []
    for effect, i, p, o in parts_of(s):
        if not BLENDS[o.material.blend].see_through or p.birth.life[1] <= FLASH or o.material.blend == "Multiply":
            continue
        # A sheet that fades by itself, in its first or last frame, pops no more than these frames show.
        seen = s.frame_alpha(o, p)
        # What shoots out is nowhere long enough to be seen to appear.
        quick = p.birth.speed[0] * SOON > 3 * p.birth.width[1]
        born = 0.0 if quick else _shown(p, o, 0.0) * seen[0] * o.material.opacity
        dies = _shown(p, o, 1.0) * seen[1] * o.material.opacity
        leap = 0.0 if quick else _leap(p, o) * max(seen) * o.material.opacity
        # What ends on something solid ends with the opacity that it has there.
        met = _met(s, effect, p, o) * max(seen) * o.material.opacity
        worst = max(born, dies, leap, met) * 255
        if worst < POP:
            continue
        named = (
            ("birth", born),
            ("death", dies),
            ("mid-life", leap if max(born, dies) < leap else 0.0),
            ("the end on solids", met),
        )
        when = " and ".join(w for w, v in named if v * 255 >= POP)
        fade = Curve(points=PRESETS["In and out"][0])
        curve = fade if p.life.opacity is None or max(born, dies) * 255 < POP else _closed(p.life.opacity, born, dies)
        edit = (edit_of(effect, i, "life", opacity=curve),)
        rows.append(
            found(
                "motion-pop",
                effect,
                p,
                o,
                worst,
                "of 255",
                Message(
                    "{words_of}: at {when} opacity is not zero; {worst:.0f} of 255 appear or go from one "
                    "picture to the next.",
                    words_of=term(words_of(effect, p)),
                    when=term(when),
                    worst=worst,
                ),
                "Particles pop.",
                at=p.emission.delay,
                repair=Repair("Fade in and out", edit),
                weight=worst * 0.3,
                birth=round(born * 255, 2),
                death=round(dies * 255, 2),
            )
        )
    return rows


def _leap(p: Emitter, o: Overlay) -> float:
    """Largest change of what is shown from one tick to the next within the shortest life; what is quicker pops too."""
    if p.life.opacity is None and p.life.size is None:
        return 0.0
    ticks = max(2, round(p.birth.life[0] * TICKS))
    if ticks < LEAST_TICKS:
        return 0.0  # as short as a flash: it is meant to be seen at once
    share = np.arange(ticks + 1) / ticks
    opacity = np.array([_shown(p, o, float(t)) for t in share]) if p.life.size is None else _opacity(p, share)
    area = 1.0 if p.life.size is None else np.clip(p.life.size.quick(share), 0, 1) ** 2
    most = float(np.abs(np.diff(opacity * area)).max())
    return most if most >= STEEP else 0.0


def _opacity(p: Emitter, share: NDArray[np.float64]) -> NDArray[np.float64]:
    """Opacity at shares of a life; what grows from nothing counts by its area beside."""
    return p.birth.opacity[1] * (
        np.ones(len(share)) if p.life.opacity is None else np.clip(p.life.opacity.quick(share), 0, 1)
    )


def _met(s: MotionSubject, effect: Effect, p: Emitter, o: Overlay) -> float:
    """How much is shown of particles that die on something solid, where more than a few do, in the mean."""
    if p.life.solids != "die":
        return 0.0
    flow, end = s.flow(effect, p), s.peak(effect, p)
    living = set(flow.at(end).number.tolist())
    births = flow.births
    if births is None:
        return 0.0
    rows = np.flatnonzero((births.time <= end) & (births.time + births.life > end))
    gone = [int(r) for r in rows if int(births.number[r]) not in living]
    if len(gone) < 2 or len(gone) < 0.1 * len(rows):
        return 0.0
    # They died at about the middle of the time that has gone since they were born: where they are seen to go.
    return float(np.mean([_shown(p, o, float((end - births.time[r]) / births.life[r]) / 2) for r in gone]))


def _closed(curve: Curve, born: float, dies: float) -> Curve:
    """A curve brought to zero where it is not."""
    points = (
        [(0.05 + 0.9 * x, y) for x, y in curve.points]
        if len(curve.points) > 1
        else [(0.1, curve.points[0][1]), (0.7, curve.points[0][1])]
    )
    if born * 255 >= POP or points[0][1] == 0:
        points.insert(0, (0.0, 0.0))
    if dies * 255 >= POP or points[-1][1] == 0:
        points.append((1.0, 0.0))
    return Curve(points=tuple(points), smooth=curve.smooth)


_LOOK = Look("stage")
CHECKS = (Check("motion-pop", "Particles pop", _pop, "motion", _LOOK, "motion"),)

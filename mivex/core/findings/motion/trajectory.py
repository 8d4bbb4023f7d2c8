"""Checks of where particles go, what they meet, and what they cost."""

import numpy as np

from mivex.core.base.messages import Message, term
from mivex.core.findings.base import Check, MotionSubject
from mivex.core.findings.finding import Finding, Look, Repair
from mivex.core.findings.motion.said import edit_of, found, parts_of, words_of
from mivex.core.motion.bounds import bounds_of
from mivex.core.motion.curves import Curve
from mivex.core.motion.model import MOST, TICKS, Effect, Emitter
from mivex.core.motion.simulate import Particles
from mivex.core.pixels.blends import BLENDS
from mivex.core.project.document import Overlay
from mivex.core.project.edits import SetFields, SetPart
from mivex.core.stage.camera import View

CONTACT = 0.12
"""Share of the particles that may cut into something solid."""
DEEP = 0.02
"""Metres up to which the line is too short to be seen: sparks that bounce, drops that end."""
COARSE = 2.5
"""Pixels to a texel, on a screen of 1280 by 800, from which a sprite looks blurred."""
CROWDED = 0.1
"""Share of what particles cover that may be above the budget."""
LEAP = 0.2
"""Change of a factor from one tick to the next that is seen as a jerk."""


def _count(s: MotionSubject) -> list[Finding]:
    rows = []
    for effect, i, p, o in parts_of(s):
        e = p.emission
        count, refused = s.refused(effect, p)
        if refused == 0:
            continue
        wanted = count + refused
        # As many more as were refused, and a tenth: of another seed a few more may live at once.
        edit = edit_of(effect, i, "emission", most=min(max(int(e.most * wanted / max(count, 1) * 1.1), e.most + 1), MOST))
        rows.append(
            found(
                "motion-most",
                effect,
                p,
                o,
                refused,
                "births",
                Message(
                    "{words_of}: of {wanted} births {refused} are refused, since at most {most} "
                    "particles may live at once.",
                    words_of=term(words_of(effect, p)),
                    wanted=wanted,
                    refused=refused,
                    most=e.most,
                ),
                "The stream breaks off and comes back in gusts.",
                at=s.peak(effect, p),
                repair=Repair("Allow more at once", (edit,)),
                weight=6.0,
            )
        )
    return rows


def _overdraw(s: MotionSubject) -> list[Finding]:
    def said(part: tuple[Effect, Emitter, Overlay], most: float, share: float, message: Message, at: float) -> Finding:
        return found(
            "motion-overdraw",
            *part,
            most,
            "fragments",
            message,
            "Too many sprites cost too much; see “Fewer, larger”.",
            at=at,
            weight=min(most, 60.0),
            share=round(share, 4),
        )

    rows, alone = [], []
    for effect, _i, p, o in parts_of(s):
        most, share = s.overdraw(effect, p)
        alone.append((most, (effect, p, o)))
        if share < CROWDED:
            continue
        message = Message(
            "{words_of}: up to {most:.0f} particles lie over one another; {share:.0%} of what "
            "they cover is above the budget of {overdraw:g}.",
            words_of=term(words_of(effect, p)),
            most=most,
            share=share,
            overdraw=s.doc.overdraw,
        )
        rows.append(said((effect, p, o), most, share, message, s.peak(effect, p)))
    # Where one part is too much by itself, it is said of that one; the sum would only say it again.
    if not rows and len(alone) > 1:
        most, share, time = s.overdraw_of_all()
        if share >= CROWDED:
            # None is too much by itself: it is said of the one that brings most.
            part = max(alone, key=lambda r: r[0])[1]
            message = Message(
                "All effects together: up to {most:.0f} particles lie over one another at {time:.1f} s; "
                "{share:.0%} of what they cover is above the budget of {overdraw:g}. {words_of} brings most.",
                words_of=term(words_of(part[0], part[1])),
                most=most,
                time=time,
                share=share,
                overdraw=s.doc.overdraw,
            )
            rows.append(said(part, most, share, message, time))
    return rows


def _crossing(p: Particles, s: MotionSubject) -> tuple[float, float]:
    """Share of the particles that reach into something solid below or beside them, and how deep these reach."""
    if not len(p):
        return 0.0, 0.0
    # Evenly through the order of births, so that young and old ones count alike.
    pick = np.linspace(0, len(p) - 1, min(len(p), 96)).astype(int)
    deep = []
    for i in pick:
        # Not half: a sprite's corners are clear, and what is seen of it ends well within.
        r = float(p.size[i].min()) * 0.35
        at = p.position[i]
        # Down first: most sprites that cut anything lie on a floor. Towards the viewer is left out; nothing is seen of a
        # cut there.
        for way in ((0.0, -r, 0.0), (r, 0.0, 0.0), (-r, 0.0, 0.0), (0.0, 0.0, -r)):
            found = s.solids.meets(at, at + np.array(way))
            if found is not None:
                deep.append(r - float(np.linalg.norm(found[0] - at)))
                break
    return len(deep) / len(pick), float(np.mean(deep)) if deep else 0.0


def _contact(s: MotionSubject) -> list[Finding]:
    rows = []
    for effect, _i, p, o in parts_of(s):
        m = o.material
        # Solid sprites have a hard edge anyway, and what is drawn over everything meets nothing.
        if m.contact.distance > 0 or not BLENDS[m.blend].see_through or not m.depth_test or s.hard(o):
            continue
        share, deep = _crossing(s.particles(effect, p), s)
        if share <= CONTACT or deep < DEEP:
            continue
        wide = float(np.mean(p.birth.width))
        fade = m.contact.model_copy(update={"distance": round(max(0.05, wide / 2), 3)})
        edit = SetFields(o.id, "material", (("contact", fade),))
        rows.append(
            found(
                "motion-contact",
                effect,
                p,
                o,
                share * 100,
                "% of them",
                Message(
                    "{words_of}: {share:.0%} of the particles cut into something solid, {deep:.0f} cm "
                    "deep in the mean, and “{name}” has no contact fade.",
                    words_of=term(words_of(effect, p)),
                    share=share,
                    deep=deep * 100,
                    name=o.name,
                ),
                "A hard line where smoke meets the ground.",
                at=s.peak(effect, p),
                repair=Repair("Fade before contact", (edit,)),
                weight=25.0 * share,
            )
        )
    return rows


def _inside(s: MotionSubject) -> list[Finding]:
    rows = []
    for effect, _i, p, o in parts_of(s):
        places = s.born(effect, p)
        inside = sum(s.within(at) for at in places)
        # A few in a corner of the shape they are born in are neither seen nor missed.
        if inside < max(1, 0.05 * len(places)):
            continue
        share = inside / len(places)
        up = _lifted(effect, s)
        rows.append(
            found(
                "motion-inside",
                effect,
                p,
                o,
                share * 100,
                "% of births",
                Message(
                    "{words_of}: {share:.0%} of the particles are born inside something solid.",
                    words_of=term(words_of(effect, p)),
                    share=share,
                ),
                "They are not seen, or break out of a wall.",
                at=p.emission.delay,
                repair=up,
                weight=20.0 * share,
            )
        )
    return rows


def _lifted(effect: Effect, s: MotionSubject) -> Repair | None:
    """Lift an effect until it is born free; None where that takes more than a metre."""
    # By 5 cm: a finer step would look more exact than where something is born is ever meant.
    for step in range(1, 21):
        lift = 0.05 * step
        moved = effect.model_copy(update={"at": (effect.at[0], round(effect.at[1] + lift, 4), effect.at[2])})
        if not any(s.within(at) for p in moved.parts if not p.muted for at in s.born(moved, p)):
            return Repair(Message("Lift it by {lift:.2f} m", lift=lift), (SetPart(effect.id, -1, "", (("at", moved.at),)),))
    return None


def _leap(s: MotionSubject) -> list[Finding]:
    rows = []
    for effect, i, p, o in parts_of(s):
        for name in ("speed_x", "speed_y", "speed_z"):
            curve = getattr(p.life, name)
            if curve is None:
                continue
            # At the ticks of the shortest life, where the same curve is steepest.
            n = max(int(p.birth.life[0] * TICKS), 2)
            values = curve.at(np.linspace(0, 1, n + 1))
            steps = np.abs(np.diff(values))
            at = int(steps.argmax())
            usual = float(np.median(steps))
            # A curve that is steep all along is a fast one; a jerk stands out of it.
            if steps[at] < LEAP or steps[at] < 6 * max(usual, 0.01):
                continue
            rows.append(
                found(
                    "motion-leap",
                    effect,
                    p,
                    o,
                    float(steps[at]),
                    "×",
                    Message(
                        "{words_of}: speed changes by {steps:.2f} times from one tick to the next, {at:.0%} into the life.",
                        words_of=term(words_of(effect, p)),
                        steps=steps[at],
                        at=at / n,
                    ),
                    "Particles jerk where the curve's parts meet.",
                    at=p.emission.delay + at / TICKS,
                    repair=Repair("Join the parts smoothly", (edit_of(effect, i, "life", **{name: _joined(curve)}),)),
                    weight=7.0,
                )
            )
    return rows


def _joined(curve: Curve) -> Curve:
    """A curve whose steps are drawn out over a tenth of the life."""
    points = list(curve.points)
    for k in range(1, len(points)):
        if points[k][0] - points[k - 1][0] < 0.05:
            middle = (points[k][0] + points[k - 1][0]) / 2
            points[k - 1] = (max(middle - 0.08, 0.0 if k < 2 else points[k - 2][0]), points[k - 1][1])
            points[k] = (min(middle + 0.08, 1.0 if k + 1 == len(points) else points[k + 1][0]), points[k][1])
    return Curve(points=tuple(points), smooth=True)


def _bounds(s: MotionSubject) -> list[Finding]:
    rows = []
    for effect in s.effects:
        if effect.bounds is None:
            continue
        low, high = (np.array(v) for v in effect.bounds)
        for _e, _i, p, o in (r for r in parts_of(s) if r[0] is effect):
            b = bounds_of(s.flow(effect, p))
            out = float(np.maximum(low - b.low, b.high - high).max())
            # A centimetre is less than what bounds are rounded to.
            if out <= 0.01:
                continue
            wide = (
                tuple(float(v) for v in np.round(np.minimum(low, b.low), 3)),
                tuple(float(v) for v in np.round(np.maximum(high, b.high), 3)),
            )
            rows.append(
                found(
                    "motion-bounds",
                    effect,
                    p,
                    o,
                    out,
                    "m",
                    Message(
                        "{words_of} goes {out:.2f} m beyond the bounds that are set.",
                        words_of=term(words_of(effect, p)),
                        out=out,
                    ),
                    "Seen from the side the effect vanishes while some of it is in the picture.",
                    repair=Repair("Widen the bounds", (SetPart(effect.id, -1, "", (("bounds", wide),)),)),
                    weight=9.0,
                )
            )
            break
    return rows


def _small(s: MotionSubject) -> list[Finding]:
    rows = []
    for effect, _i, p, o in parts_of(s):
        found_now, t = s.particles(effect, p), s.textures[o.id]
        if not len(found_now):
            continue
        cell = t.traits.cells[0] if t.traits.cells else (0.0, 0.0, 1.0, 1.0)
        texels = (cell[3] - cell[1]) * t.full_size[1]
        most, at = 0.0, ""
        for camera in s.doc.cameras:
            view = View(camera, 1280, 800)
            x, y, deep = view.on_screen(found_now.position).T
            pixels = found_now.size[:, 1] * view.focal / np.maximum(deep, 0.3)
            # What is out of the picture is not seen, however near it is.
            beyond = np.maximum(np.abs(x - view.width / 2) - view.width / 2, np.abs(y - view.height / 2) - view.height / 2)
            pixels = pixels[(deep > 0.3) & (beyond < pixels / 2)]
            # The ninth tenth: one that happens to come near the lens is not what is looked at.
            if pixels.size and float(np.percentile(pixels, 90)) > most:
                most, at = float(np.percentile(pixels, 90)), camera.name
        if most / max(texels, 1) <= COARSE:
            continue
        what = "frame" if t.traits.cells else "picture"
        rows.append(
            found(
                "motion-small",
                effect,
                p,
                o,
                most / texels,
                "times its size",
                Message(
                    "{words_of}: a {what} of {texels:.0f} texels is drawn {most:.0f} pixels high from camera {at}.",
                    words_of=term(words_of(effect, p)),
                    what=term(what),
                    texels=texels,
                    most=most,
                    at=at,
                ),
                "It is seen blurred: its cells are too small for their size on screen.",
                at=s.peak(effect, p),
                weight=4.0 * most / texels,
            )
        )
    return rows


_LOOK = Look("stage")
CHECKS = (
    Check("motion-most", "Births refused", _count, "motion", _LOOK, "motion"),
    Check("motion-overdraw", "Too many over one another", _overdraw, "motion", _LOOK, "motion"),
    Check("motion-contact", "Hard contact line", _contact, "blend", _LOOK, "motion"),
    Check("motion-inside", "Born inside something solid", _inside, "motion", _LOOK, "motion"),
    Check("motion-leap", "Speed jumps", _leap, "motion", _LOOK, "motion"),
    Check("motion-small", "Frames too small for the screen", _small, "sheet", _LOOK, "motion"),
    Check("motion-bounds", "Bounds too small", _bounds, "motion", _LOOK, "motion"),
)
"""Registered."""

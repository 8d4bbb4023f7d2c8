"""Checks of a sheet's frames: what touches their border, what comes in from next door, and how they follow one another."""

from functools import partial

import numpy as np

from mivex.core.base.kept import memoized_on
from mivex.core.base.messages import Message, named, term
from mivex.core.base.types import Floats
from mivex.core.findings.base import Check, Subject, mend
from mivex.core.findings.finding import Finding, Look, Repair, Texels
from mivex.core.findings.sheet.order import distances, first_break, open_loop
from mivex.core.picture.texture import Texture
from mivex.core.prepare.clear_border import ClearBorder
from mivex.core.project.edits import SetFields
from mivex.core.sheet.bleed import SAFE, Bleed, cell_texels, measure
from mivex.core.sheet.celled import frame_values

SEEN = 6 / 255
"""Alpha, or light in display values, that is seen at a border."""
SMALLEST = 16
"""A cell is looked at down to the level where it has this many texels."""
DRIFT = 0.06
"""Share of the cell by which the middle of what is seen may wander."""


def _frames(texture: Texture) -> list[Floats]:
    return memoized_on(texture, "frames", lambda: frame_values(texture.values, texture.traits.cells))


def _place(texture: Texture, frame: int) -> Texels:
    left, top, right, low = cell_texels(texture.traits.cells[frame], texture.width, texture.height)
    return Texels(left, top, right - left, low - top)


def _rim(values: Floats) -> Floats:
    return np.concatenate([values[0], values[-1], values[1:-1, 0], values[1:-1, -1]])


def _border(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not subject.uses_alpha or subject.wraps or subject.flat_alpha:
        return []
    most = np.array([float(_rim(f)[:, 3].max()) for f in _frames(t)])
    bad = np.flatnonzero(most > SEEN)
    if not bad.size:
        return []
    worst = int(most.argmax())
    share = float(np.mean([(_rim(f)[:, 3] > SEEN).mean() for f in _frames(t)]))
    return [
        Finding(
            "sheet-border",
            subject.name,
            most[worst] * 255,
            "of 255",
            Message(
                "{size} of {count} frames reach their cell's border, frame {worst} with alpha {most:.0f}.",
                size=bad.size,
                count=len(most),
                worst=worst,
                most=most[worst] * 255,
            ),
            "Each sprite is cut off in a straight line there, and filtering carries it into the next frame.",
            _place(t, worst),
            mend(subject, "Clear the border of every cell", (ClearBorder(),)) if subject.overlay else None,
            {"frames": [int(i) for i in bad], "share": round(share, 4)},
            weight=float(most[worst]) * 255 * min(share * 4, 1.0),
        )
    ]


def _light(subject: Subject) -> list[Finding]:
    t, m = subject.texture, subject.material
    if m is None or m.blend not in ("Additive", "Premultiplied"):
        return []

    def light(v: Floats) -> float:
        rgb = v[..., :3] if m.blend == "Premultiplied" or t.premultiplied else v[..., :3] * v[..., 3:]
        return float(rgb.max())

    most = np.array([light(_rim(f)) for f in _frames(t)])
    bad = np.flatnonzero(most > SEEN)
    if not bad.size:
        return []
    worst = int(most.argmax())
    return [
        Finding(
            "sheet-light",
            subject.name,
            most[worst] * 255,
            "of 255",
            Message(
                "Light reaches the border of {size} of {count} frames, in frame {worst} {most:.0f} of 255.",
                size=bad.size,
                count=len(most),
                worst=worst,
                most=most[worst] * 255,
            ),
            "Glow ends in a straight edge; over dark ground the sprite's square shows.",
            _place(t, worst),
            None,
            {"frames": [int(i) for i in bad]},
            weight=float(most[worst]) * 120,
        )
    ]


def bleed_of(texture: Texture) -> Bleed:
    """The bleed of a sheet; measured once."""
    return memoized_on(texture, "bleed", partial(measure, texture))


def _bleed(subject: Subject) -> list[Finding]:
    t = subject.texture
    found = bleed_of(t)
    side = min(_place(t, 0)[2:])
    looked = [i for i in range(len(found.levels)) if side >> i >= SMALLEST]
    bad = [i for i in looked if found.levels[i] > SAFE]
    if not bad:
        return []
    first = bad[0]
    worst = max(bad, key=lambda i: found.levels[i])
    safe = Message("It is safe to level {safe}.", safe=found.safe) if found.safe >= 0 else "No level is safe."
    return [
        Finding(
            "sheet-bleed",
            subject.name,
            float(first),
            "from level",
            Message(
                "From mip level {first} on a frame shows what is next to it, by up to {levels:.0f} "
                "of 255 at level {worst}. {safe}",
                first=first,
                levels=found.levels[worst],
                worst=worst,
                safe=safe,
            ),
            "In the distance a line or ghost of the next frame flickers at the sprite's edge.",
            _place(t, found.worst[worst]),
            None,
            {"levels": list(found.levels), "safe": found.safe},
            weight=found.levels[worst] / (1 << first),
        )
    ]


def _plays(subject: Subject) -> bool:
    return len(subject.texture.traits.cells) >= 3 and subject.sheet.play != "random"


_JUMPS = {
    "place": "Frame {frame} does not fit between those beside it: {figure:.0%} of what is seen changes there and back; "
    "usual is {usual:.1%}.",
    "exchanged": "Frames {frame} and {next} seem to be exchanged: the other way round they follow one another.",
    "line": "Frame {frame} has a straight line over {figure:.0%} of the sprite that the frames beside it have not.",
    "step": "From frame {frame} to {next} {figure:.0%} of what is seen changes; usual is {usual:.1%}.",
}


def _jump(subject: Subject) -> list[Finding]:
    if not _plays(subject):
        return []
    found = first_break(distances(subject.texture))
    if found is None:
        return []
    at = found.frame + (found.kind == "step")
    return [
        Finding(
            "sheet-jump",
            subject.name,
            found.figure * 100,
            "% of what is seen",
            Message(_JUMPS[found.kind], frame=found.frame, next=found.frame + 1, figure=found.figure, usual=found.usual),
            "The movement stutters there, at every run.",
            _place(subject.texture, at),
            None,
            {"frame": at, "kind": found.kind, "usual": round(found.usual, 4)},
            weight=found.figure * 60,
        )
    ]


def _loop(subject: Subject) -> list[Finding]:
    if not _plays(subject) or subject.sheet.play != "loop":
        return []
    d = distances(subject.texture)
    found = open_loop(d)
    if found is None:
        return []
    back, usual = found
    once = Repair("Play it once", (SetFields(subject.overlay, "sheet", (("play", "once"),)),)) if subject.overlay else None
    return [
        Finding(
            "sheet-loop",
            subject.name,
            back * 100,
            "% of what is seen",
            Message(
                "From the last frame back to the first {back:.0%} of what is seen changes; usual is {usual:.1%}.",
                back=back,
                usual=usual,
            ),
            "Played again and again, it jumps at the end of every run.",
            _place(subject.texture, d.n - 1),
            once,
            {"usual": round(usual, 4)},
            weight=back * 60,
        )
    ]


def _drift(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not _plays(subject) or not subject.uses_alpha:
        return []
    rows = []
    for f in _frames(t):
        a = f[..., 3].astype(np.float64)
        total = a.sum()
        if total < 1e-3:
            continue
        h, w = a.shape
        rows.append(
            (
                (a.sum(axis=0) * (np.arange(w) + 0.5)).sum() / total / w,
                (a.sum(axis=1) * (np.arange(h) + 0.5)).sum() / total / h,
            )
        )
    if len(rows) < 3:
        return []
    at = np.array(rows)
    # What sways comes back; what drifts goes on: the straight line through all frames says how far, and so do its ends.
    k = np.linspace(0, 1, len(at))
    slope = np.array([np.polyfit(k, at[:, j], 1)[0] for j in (0, 1)])
    far = min(float(np.hypot(*slope)), float(np.hypot(*(at[-1] - at[0]))))
    if far < DRIFT:
        return []
    steps = np.hypot(*np.diff(at, axis=0).T)
    if subject.sheet.play == "loop" and np.hypot(*(at[0] - at[-1])) <= 1.5 * np.median(steps):
        return []  # it goes round, and its end meets its beginning
    way = "across" if abs(slope[0]) > abs(slope[1]) else "down" if slope[1] > 0 else "up"
    return [
        Finding(
            "sheet-drift",
            subject.name,
            far * 100,
            "% of the cell",
            Message(
                "The middle of what is seen wanders {far:.0%} of the cell {way} from the first frame to the last.",
                far=far,
                way=term(way),
            ),
            "The sprite swims away from where it stands, and jumps back when it begins again.",
            _place(t, len(at) - 1),
            None,
            {"across": round(float(slope[0]), 4), "down": round(float(slope[1]), 4)},
            weight=far * 100,
        )
    ]


def _empty(subject: Subject) -> list[Finding]:
    t = subject.texture
    there = np.array([float(f[..., 3].max()) > 2 / 255 for f in _frames(t)])
    if there.all() or not there.any():
        return []
    last = int(np.flatnonzero(there)[-1])
    inside = [int(i) for i in np.flatnonzero(~there[:last])]
    after = len(there) - 1 - last
    rows = []
    if inside:
        rows.append(
            Finding(
                "sheet-empty",
                subject.name,
                float(len(inside)),
                "frames",
                Message(
                    "{frames_words} between others {ending} empty.",
                    frames_words=term(_frames_words(inside)),
                    ending=term("is" if len(inside) == 1 else "are"),
                ),
                "The sprite blinks.",
                _place(t, inside[0]),
                None,
                {"frames": inside},
                weight=40.0,
            )
        )
    if after and len(subject.sheet.grids) == 1:
        g = subject.sheet.grids[0]
        mend = (
            Repair(
                Message("End after frame {last}", last=last),
                (
                    SetFields(
                        subject.overlay,
                        "sheet",
                        (("grids", (g.model_copy(update={"count": _cell_of(g.unused, last) + 1}),)),),
                    ),
                ),
            )
            if subject.overlay
            else None
        )
        rows.append(
            Finding(
                "sheet-past",
                subject.name,
                float(after),
                "frames",
                Message(
                    "The last {after} of {count} frames {ending} empty: the sheet ends with frame {last}.",
                    after=after,
                    count=len(there),
                    ending=term("is" if after == 1 else "are"),
                    last=last,
                ),
                "Each run ends in nothing; with one frame too many it blinks at its end.",
                _place(t, last + 1),
                mend,
                {"last": last, "count": len(there)},
                weight=30.0,
            )
        )
    return rows


def _cell_of(unused: tuple[int, ...], frame: int) -> int:
    """Number of the cell that holds a frame, those that hold none counted in."""
    cell = -1
    for _ in range(frame + 1):
        cell += 1
        while cell in unused:
            cell += 1
    return cell


def _frames_words(frames: list[int]) -> str:
    return (
        Message("Frame {frames}", frames=frames[0])
        if len(frames) == 1
        else Message("Frames {parts}", parts=named(", ", map(str, frames[:6]))) + (" …" if len(frames) > 6 else "")
    )


_FLAT = Look(show="alpha")
CHECKS = (
    Check("sheet-border", "Frames reach their border", _border, "sheet", _FLAT, "sheet"),
    Check("sheet-light", "Light cut off at the border", _light, "sheet", Look(backdrop="black"), "sheet"),
    Check("sheet-bleed", "Frames bleed into each other", _bleed, "sheet", lambda f: Look(level=int(f.figure)), "sheet"),
    Check("sheet-jump", "A frame jumps", _jump, "sheet", Look(), "sheet"),
    Check("sheet-loop", "The loop does not close", _loop, "sheet", Look(), "sheet"),
    Check("sheet-drift", "Frames drift", _drift, "sheet", Look(), "sheet"),
    Check("sheet-empty", "Empty frames", _empty, "sheet", Look(), "sheet"),
    Check("sheet-past", "Frames past the last", lambda _s: [], "sheet", Look(), "sheet"),
)
"""Registered; frames past the last are found together with empty ones."""

"""Advice on a project's drawing order: what is wrong now, what to change, what is left."""

import itertools
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.advice.conflicts import Conflict, conflicts
from mivex.core.base.errors import Stopped
from mivex.core.base.messages import Message
from mivex.core.pixels.blends import BLENDS, GroupName
from mivex.core.project.document import Document, Overlay
from mivex.core.project.variants import synced
from mivex.core.scene.draw_calls import Scene, build_environment
from mivex.core.scene.snapshot import SceneSnapshot
from mivex.core.stage import placement_geometry as placing
from mivex.core.stage.adviser import SLIGHT, Advice, advise
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.exact import draw_exact
from mivex.core.stage.looks import display_codes
from mivex.core.stage.passes import draw_all

SIZE = (320, 200)
"""Pixels of a picture that is judged."""
FEW, VERY_FEW = 8, 4
"""Of so many overlays one, and two, changes are tried by rendering each."""
MANY, SURE = 16, 4
"""Of more changes than ``MANY``, one that gained ``SURE`` times what counts as nothing is not tried again."""


@dataclass(frozen=True)
class Change:
    """One setting that should be another."""

    overlay: str
    setting: str
    before: Any
    after: Any


@dataclass(frozen=True, eq=False)
class Proposal:
    """What the adviser proposes.

    Attributes
    ----------
    before, after : float
        Mean error over all pixels of all cameras, in display codes.
    nudges : dict of overlay id to int
        Nudges that change.
    settings : tuple of Change
        Other settings that change.
    free : tuple of overlay ids
        May be drawn at any time.
    unsettled : tuple of Conflict
        What stays wrong in any order, with what was tried against it.
    doc : Document
        With the proposal applied.
    wrong : tuple of (camera, before, after)
        The error of each camera.
    gains : dict of str to float
        What each change gains by itself: how much larger the error is without it. Nudges go by the overlay's id,
        settings by the id and the setting, ``id depth_write``.
    """

    before: float
    after: float
    nudges: dict[str, int]
    settings: tuple[Change, ...]
    free: tuple[str, ...]
    unsettled: tuple[Conflict, ...]
    doc: Document
    wrong: tuple[tuple[Camera, float, float], ...]
    gains: dict[str, float]


def ring(doc: Document, count: int, like: Camera | None = None) -> list[Camera]:
    """Cameras round everything that overlays stand on, as high and as far as ``like`` (the first camera)."""
    like = like or doc.cameras[0]
    view = View(like, *SIZE)
    world = build_environment(doc)
    spots = [placing.middle(p, view, world=world) for o in doc.overlays if o.shown for p in o.places]
    x, y, z = (float(v) for v in np.mean(spots, axis=0)) if spots else like.target
    return [
        like.model_copy(
            update={
                "name": Message("Ring {value}°", value=round(360 * k / count)),
                "target": (x, y, z),
                "yaw": (like.yaw + 360 * k / count + 180) % 360 - 180,
            }
        )
        for k in range(count)
    ]


class OrderEvaluator:
    """Mean difference between the order set and exact order over a camera's pixels, in display codes.

    Exact order is drawn once a camera: neither nudges nor what `_candidates` changes touch it.
    """

    def __init__(self, stage: SceneSnapshot, size: tuple[int, int] = SIZE, cameras: int = 1) -> None:
        self.stage, self.size = stage, size
        # All that does not change between two documents stays ready as each of the cameras sees it.
        self._scene = Scene(2 * cameras)
        self._exact: dict[Camera, NDArray[np.int16]] = {}

    def error(self, doc: Document, camera: Camera) -> float:
        """The error of a document's order as a camera sees it."""
        view = View(camera, *self.size)
        draws = self._scene.draws(doc, self.stage.textures, view, self.stage.meshes)
        if camera not in self._exact:
            self._exact[camera] = display_codes(draw_exact(draws, view, doc.lighting), doc.lighting).astype(np.int16)
        seen = display_codes(draw_all(draws, view, doc.lighting), doc.lighting).astype(np.int16)
        return float(np.abs(seen - self._exact[camera]).mean())


def _with(doc: Document, change: Callable[[Overlay], dict[str, object]]) -> Document:
    rows = []
    for o in doc.overlays:
        values = change(o)
        rows.append(o.model_copy(update={"material": o.material.model_copy(update=values)}) if values else o)
    return doc.model_copy(update={"overlays": tuple(rows)})


def _candidates(doc: Document) -> list[Change]:
    """Settings that stand in the way of any order."""
    rows: list[Change] = []
    blended: GroupName = "Blended"
    for o in doc.overlays:
        m = o.material
        if not (o.shown and o.places and BLENDS[m.blend].see_through):
            continue
        if m.group not in ("Decal", "Blended", "Front"):
            rows.append(Change(o.id, "group", m.group, blended))
        if m.depth_write and m.group != "Decal":
            rows.append(Change(o.id, "depth_write", True, False))
    return rows


def applied(doc: Document, nudges: dict[str, int], settings: Sequence[Change]) -> Document:
    """A document with nudges and settings changed."""

    def change(o: Overlay) -> dict[str, object]:
        values: dict[str, object] = {c.setting: c.after for c in settings if c.overlay == o.id}
        if o.id in nudges and nudges[o.id] != o.material.nudge:
            values["nudge"] = nudges[o.id]
        return values

    return synced(doc, _with(doc, change))


@dataclass(frozen=True)
class _Tried:
    """A set of changes that was rendered: its document and the error of each camera."""

    nudges: dict[str, int]
    settings: tuple[Change, ...]
    doc: Document
    errors: list[float]

    @property
    def error(self) -> float:
        return float(np.mean(self.errors))

    @property
    def count(self) -> int:
        return len(self.nudges) + len(self.settings)


def _pruned(
    chosen: _Tried,
    judged: Callable[[dict[str, int], Sequence[Change]], _Tried],
    most: float,
    tell: Callable[[float], object],
) -> tuple[_Tried, dict[str, float]]:
    """Leave out one change after the other while the error stays within ``most``; what each that is left gains."""
    gains: dict[str, float] = {}
    while True:
        had, gains, fewer = gains, {}, chosen
        parts = [(k, None) for k in chosen.nudges] + [(f"{c.overlay} {c.setting}", c) for c in chosen.settings]
        for k, (key, change) in enumerate(parts):
            tell(k / len(parts))
            if len(parts) > MANY and had.get(key, 0.0) > SURE * SLIGHT:
                gains[key] = had[key]
                continue
            nudges = {i: v for i, v in fewer.nudges.items() if change is not None or i != key}
            tried = judged(nudges, [c for c in fewer.settings if c is not change])
            if tried.error <= most:
                fewer = tried
            else:
                gains[key] = tried.error - fewer.error
        if fewer is chosen:
            return chosen, gains
        chosen = fewer  # what is left may gain something else now


def _smaller(
    doc: Document,
    chosen: _Tried,
    judged: Callable[[dict[str, int], Sequence[Change]], _Tried],
    most: float,
    free: set[str],
) -> _Tried:
    """A smaller set of changes that does as well: one overlay before or behind all others; of few overlays also two."""
    asked = [o for o in doc.overlays if o.shown and o.places and o.id not in free and BLENDS[o.material.blend].see_through]
    if not 2 <= len(asked) <= FEW:
        return chosen
    held = [o.material.nudge for o in asked]
    ends = [(o.id, v) for o in asked for v in dict.fromkeys((0, min(held) - 1, max(held) + 1)) if v != o.material.nudge]
    settings = [(c,) for c in chosen.settings]
    tries = [({k: v}, some) for k, v in ends for some in [(), *settings][: 2 if chosen.count > 2 else 1]]
    if chosen.count > 2 and len(asked) <= VERY_FEW:
        tries += [({a: v, b: u}, ()) for (a, v), (b, u) in itertools.combinations(ends, 2) if a != b]
    best = chosen
    for nudges, some in tries:
        if len(nudges) + len(some) < best.count and (tried := judged(nudges, some)).error <= most:
            best = tried
    return best


def propose(
    stage: SceneSnapshot,
    cameras: Sequence[Camera],
    *,
    size: tuple[int, int] = SIZE,
    stop: Callable[[], bool] = lambda: False,
    tell: Callable[[float], object] = lambda _: None,
) -> Proposal:
    """Find the nudges and settings with the least error over some cameras.

    Parameters
    ----------
    stage : SceneSnapshot
    cameras : sequence of Camera
        Named ones, or a `ring`.
    size : (width, height)
        Of the pictures that are judged.
    stop, tell : callable
        Asked between pieces of work; told the share that is done.
    """
    doc, judge = stage.doc, OrderEvaluator(stage, size, max(1, len(cameras)))
    first = [judge.error(doc, c) for c in cameras]
    before = float(np.mean(first))

    def found(settings: Sequence[Change], from_: float, to: float) -> tuple[Document, Advice, list[float]]:
        changed = applied(doc, {}, settings)
        views = []
        for c in cameras:
            view = View(c, *size)
            views.append((stage.draws(view, changed), view))
        advice = advise(views, doc.lighting, stop=stop, tell=lambda t: tell(from_ + (to - from_) * t))
        best = applied(changed, advice.nudges, ())
        return best, advice, first if best == doc else [judge.error(best, c) for c in cameras]

    settings = _candidates(doc)
    best, advice, errors = found(settings, 0.1, 0.5)

    def judged(nudges: dict[str, int], some: Sequence[Change], most: float = np.inf) -> _Tried:
        made = applied(doc, nudges, some)
        errors = first if made == doc else []
        for c in () if made == doc else cameras:
            if stop():
                raise Stopped
            errors.append(judge.error(made, c))
            # No error is below zero: what is too large already becomes no smaller by the other cameras.
            if sum(errors) > most * len(cameras):
                errors = [np.inf]
                break
        return _Tried(nudges, tuple(some), made, errors)

    old = {o.id: o.material.nudge for o in doc.overlays}
    changed = {o.id: o.material.nudge for o in best.overlays if o.material.nudge != old[o.id]}
    level = {k: 0 for k, v in old.items() if v}
    tries = [_Tried({}, (), doc, first), _Tried(changed, tuple(settings), best, errors)]
    # What stands, all level, the model's order; and each single change that undoes what was set by hand.
    tries += [judged(level, ()), judged(level, settings)] if level else []
    for k in level if len(level) > 1 else ():
        tries.append(judged({k: 0}, (), min(t.error for t in tries) + SLIGHT))
    tries += [judged({}, (c,)) for c in settings] + ([judged({}, settings)] if len(settings) > 1 else [])
    least = min(t.error for t in tries) + SLIGHT
    chosen = min((t for t in tries if t.error <= least), key=lambda t: (t.count, t.error))
    if before <= chosen.error + SLIGHT / 2:
        chosen = tries[0]
    if chosen.count > 1:
        chosen = _smaller(doc, chosen, judged, max(least, chosen.error), set(advice.free))
    chosen, gains = _pruned(chosen, judged, max(least, chosen.error), lambda t: tell(0.6 + 0.2 * t))
    left = conflicts(stage, chosen.doc, cameras, advice.demands, size, stop, lambda t: tell(0.8 + 0.2 * t))
    tell(1.0)
    nudges, settings, best, errors, after = chosen.nudges, list(chosen.settings), chosen.doc, chosen.errors, chosen.error
    return Proposal(
        before,
        after,
        nudges,
        tuple(settings),
        advice.free,
        left,
        best,
        tuple(zip(cameras, first, errors, strict=True)),
        gains,
    )


def proposal_words(found: Proposal) -> dict[str, Any]:
    """A proposal as it is printed; overlays by name."""
    names = {o.id: o.name for o in found.doc.overlays}
    return {
        "before": round(found.before, 6),
        "after": round(found.after, 6),
        "nudges": {names[k]: v for k, v in found.nudges.items()},
        "gains": {names[k]: round(found.gains[k], 6) for k in found.nudges},
        "settings": [
            {
                "overlay": names[c.overlay],
                "setting": c.setting,
                "before": c.before,
                "after": c.after,
                "gain": round(found.gains[f"{c.overlay} {c.setting}"], 6),
            }
            for c in found.settings
        ],
        "free": [names[k] for k in found.free],
        "unsettled": [
            {
                "overlays": [names[k] for k in c.overlays],
                "pixels": c.pixels,
                "error": round(c.error, 6),
                "camera": c.camera.name,
                "at": [round(v, 6) for v in c.at],
                "tried": c.tried,
                "remedies": [
                    {
                        "remedy": r.name,
                        "overlay": names[r.overlay],
                        "gain": round(r.gain, 6),
                        "look": round(r.look, 2),
                        "share": round(r.share, 6),
                    }
                    for r in c.remedies
                ],
            }
            for c in found.unsettled
        ],
        "cameras": [{"camera": c.name, "before": round(a, 6), "after": round(b, 6)} for c, a, b in found.wrong],
    }

"""Advice on a project's drawing order: what is wrong now, what to change, what is left."""

import itertools
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.advice.conflicts import NOTHING, Conflict, conflicts
from mivex.core.advice.nudge_model import NudgeModel
from mivex.core.base.errors import Stopped
from mivex.core.base.messages import Message
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import BLENDS, GroupName
from mivex.core.project.document import Document, Overlay
from mivex.core.project.variants import synced
from mivex.core.scene.draw_calls import Scene, build_environment
from mivex.core.scene.snapshot import SceneSnapshot
from mivex.core.stage import placement_geometry as placing
from mivex.core.stage.adviser import SLIGHT, Advice, advise
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.exact import draw_exact
from mivex.core.stage.looks import display_codes
from mivex.core.stage.passes import draw_all

SIZE = (320, 200)
"""Pixels of a picture that is judged."""
FEW, VERY_FEW = 8, 4
"""Of so many overlays one, and two, changes are tried by rendering each."""
MANY = 16
"""Of more changes than these each is judged by the model of the fragments, and only what it leaves is rendered."""


LIKELY = 4
"""Single changes that the model likes best and that are rendered, where there are many."""


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
    by_pairs : int
        Pixels, over all cameras, at which three overlays and more meet and whose order was looked for by pairs of them.
        What is proposed is rendered there as everywhere.
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
    by_pairs: int


def ring(doc: Document, count: int, like: Camera | None = None) -> list[Camera]:
    """Cameras round everything that overlays stand on, as high and as far as ``like`` (the first camera)."""
    like = like or doc.cameras[0]
    # A small picture is enough: only the middles of placements are asked for.
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
        # All that does not change between two documents, what stands and what is tried, stays ready as each camera sees it.
        self._scene = Scene(2 * cameras)
        self._exact: dict[Camera, NDArray[np.int16]] = {}

    def draws(self, doc: Document, view: View, more: Mapping[str, Texture] = NOTHING) -> list[DrawCall]:
        """A document's draws; what stands in an earlier one too is not made anew.

        ``more`` holds textures in place of its own.
        """
        textures = {**self.stage.textures, **more} if more else self.stage.textures
        return self._scene.draws(doc, textures, view, self.stage.meshes)

    def error(self, doc: Document, camera: Camera) -> float:
        """The error of a document's order as a camera sees it."""
        view = View(camera, *self.size)
        draws = self.draws(doc, view)
        # Exact order depends on no nudge: drawn once for each camera.
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

    # Variants follow by rule: a change of the original is one of theirs as well.
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
        gains, fewer = {}, chosen
        parts = [(k, None) for k in chosen.nudges] + [(f"{c.overlay} {c.setting}", c) for c in chosen.settings]
        # Each change by itself is taken away and the picture drawn anew: what nobody misses goes.
        for k, (key, change) in enumerate(parts):
            tell(k / len(parts))
            nudges = {i: v for i, v in fewer.nudges.items() if change is not None or i != key}
            tried = judged(nudges, [c for c in fewer.settings if c is not change])
            if tried.error <= most:
                fewer = tried
                # Where fewer changes are better, what is gained by that is not given away again.
                most = min(most, tried.error + SLIGHT)
            else:
                gains[key] = tried.error - fewer.error
        if fewer is chosen:
            return chosen, gains
        chosen = fewer  # what is left may gain something else now


def _by_model(
    model: NudgeModel, chosen: _Tried, old: Mapping[str, int], allowed: float
) -> tuple[dict[str, int], dict[str, float]]:
    """Nudges that are left when none stays that the model can do without, and what each of them gains.

    Parameters
    ----------
    model : NudgeModel
        Of the scene with the settings that ``chosen`` changes; what is left stands in it afterwards.
    chosen : _Tried
    old : mapping of overlay id to int
        The nudges that stand in the project.
    allowed : float
        By how much the error may grow, in codes.
    """
    model.take(chosen.nudges)
    most, left, gains = model.error + allowed, dict(chosen.nudges), dict.fromkeys(chosen.nudges, 0.0)
    fewer = True
    while fewer:
        fewer = False
        # What gained least goes first: it is the likeliest to be missed by nobody.
        for key in sorted(left, key=lambda k: gains[k]):
            without = model.would_be({key: old[key]})
            gains[key] = without - model.error
            if without <= most:
                model.take({key: old[key]})
                most = min(most, without + max(allowed, SLIGHT))
                del left[key]
                fewer = True
    return left, {k: gains[k] for k in left}


def _smaller(
    doc: Document,
    chosen: _Tried,
    judged: Callable[[dict[str, int], Sequence[Change]], _Tried],
    most: float,
    free: set[str],
    model_of: Callable[[], NudgeModel],
) -> _Tried:
    """A smaller set of changes that does as well: one overlay before, behind or level with others, of few also two.

    What is level goes by distance, camera by camera: one nudge may do there what two others do not.
    """
    asked = [o for o in doc.overlays if o.shown and o.places and o.id not in free and BLENDS[o.material.blend].see_through]
    if not 2 <= len(asked) <= FEW:
        return chosen
    held = [o.material.nudge for o in asked]
    # Behind all, before all, and nudged by nothing: the three places that change most.
    ends = [(o.id, v) for o in asked for v in dict.fromkeys((0, min(held) - 1, max(held) + 1)) if v != o.material.nudge]
    settings = [(c,) for c in chosen.settings]
    level = [(o.id, v) for o in asked for v in sorted(set(held)) if v != o.material.nudge and (o.id, v) not in ends]
    if len(level) > LIKELY:
        model = model_of()
        # The model is far quicker than a render; the best of what it likes are rendered.
        level = sorted(level, key=lambda way: model.would_be({way[0]: way[1]}))[:LIKELY]
    # Settings are tried along only where there is something to be saved by them.
    tries = [({k: v}, some) for k, v in [*ends, *level] for some in [(), *settings][: 2 if chosen.count > 2 else 1]]
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
    # Over cameras alike: none of them is more right than another.
    before = float(np.mean(first))

    def found(settings: Sequence[Change], from_: float, to: float) -> tuple[Document, Advice, list[float]]:
        changed = applied(doc, {}, settings)
        views = []
        for c in cameras:
            view = View(c, *size)
            views.append((judge.draws(changed, view), view))
        advice = advise(views, doc.lighting, stop=stop, tell=lambda t: tell(from_ + (to - from_) * t))
        best = applied(changed, advice.nudges, ())
        return best, advice, first if best == doc else [judge.error(best, c) for c in cameras]

    def modelled(some: Document) -> NudgeModel:
        views = [View(c, *size) for c in cameras]
        return NudgeModel([(judge.draws(some, v), v) for v in views], doc.lighting, stop)

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
    singles = list(level) if len(level) > 1 else []
    if len(level) > MANY:
        model = modelled(doc)
        singles = sorted(level, key=lambda k: model.would_be({k: 0}))[:LIKELY]
    for k in singles:
        tries.append(judged({k: 0}, (), min(t.error for t in tries) + SLIGHT))
    tries += [judged({}, (c,)) for c in settings] + ([judged({}, settings)] if len(settings) > 1 else [])
    least = min(t.error for t in tries) + SLIGHT
    # Fewest changes first; of as many, the smallest error.
    chosen = min((t for t in tries if t.error <= least), key=lambda t: (t.count, t.error))
    # A gain of less than half of what counts as slight is none: then everything stays as it is.
    if before <= chosen.error + SLIGHT / 2:
        chosen = tries[0]
    if chosen.count > 1:
        chosen = _smaller(doc, chosen, judged, max(least, chosen.error), set(advice.free), lambda: modelled(doc))
    most = max(least, chosen.error)
    gains: dict[str, float] = {}
    if chosen.count > MANY:
        model = modelled(applied(doc, {}, chosen.settings))
        fewer, gains = _by_model(model, chosen, old, most - chosen.error)
        rendered = judged(fewer, chosen.settings)
        if rendered.error <= most + SLIGHT:
            chosen, most = rendered, min(most, rendered.error + SLIGHT)
            for c in chosen.settings:
                without = judged(chosen.nudges, [x for x in chosen.settings if x is not c])
                gains[f"{c.overlay} {c.setting}"] = without.error - chosen.error
        else:
            gains = {}  # the model was not to be believed here
    if chosen.count <= MANY or not gains:
        chosen, gains = _pruned(chosen, judged, most, lambda t: tell(0.6 + 0.2 * t))
    left = conflicts(
        judge.draws, stage.textures, chosen.doc, cameras, advice.demands, size, stop, lambda t: tell(0.8 + 0.2 * t)
    )
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
        advice.by_pairs,
    )

"""Advice on a project's drawing order: what is wrong now, what to change, what is left."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.advice.inspection import Stage
from mivex.core.base.messages import Message
from mivex.core.pixels.blends import BLENDS, GroupName
from mivex.core.project.document import Document, Overlay
from mivex.core.project.variants import synced
from mivex.core.scene.draw_calls import build_environment
from mivex.core.stage import placement_geometry as placing
from mivex.core.stage.adviser import SLIGHT, Advice, Pair, advise
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.exact import draw_exact
from mivex.core.stage.looks import display_codes
from mivex.core.stage.passes import draw_all

SIZE = (320, 200)
"""Pixels of a picture that is judged."""


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
    unsettled : tuple of Pair
    doc : Document
        With the proposal applied.
    wrong : tuple of (camera, before, after)
        The error of each camera.
    """

    before: float
    after: float
    nudges: dict[str, int]
    settings: tuple[Change, ...]
    free: tuple[str, ...]
    unsettled: tuple[Pair, ...]
    doc: Document
    wrong: tuple[tuple[Camera, float, float], ...]


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

    def __init__(self, stage: Stage, size: tuple[int, int] = SIZE) -> None:
        self.stage, self.size = stage, size
        self._exact: dict[Camera, NDArray[np.int16]] = {}

    def error(self, doc: Document, camera: Camera) -> float:
        """The error of a document's order as a camera sees it."""
        view = View(camera, *self.size)
        draws = self.stage.draws(view, doc)
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


def propose(
    stage: Stage,
    cameras: Sequence[Camera],
    *,
    size: tuple[int, int] = SIZE,
    stop: Callable[[], bool] = lambda: False,
    tell: Callable[[float], object] = lambda _: None,
) -> Proposal:
    """Find the nudges and settings with the least error over some cameras.

    Parameters
    ----------
    stage : Stage
    cameras : sequence of Camera
        Named ones, or a `ring`.
    size : (width, height)
        Of the pictures that are judged.
    stop, tell : callable
        Asked between pieces of work; told the share that is done.
    """
    doc, judge = stage.doc, OrderEvaluator(stage, size)
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
    best, advice, errors = found(settings, 0.1, 0.6)
    # Settings that make no difference stay as they are.
    for change in list(settings):
        fewer = [c for c in settings if c is not change]
        tried = applied(doc, advice.nudges, fewer)
        again = [judge.error(tried, c) for c in cameras]
        if float(np.mean(again)) <= float(np.mean(errors)) + SLIGHT:
            settings, best, errors = fewer, tried, again
    after = float(np.mean(errors))
    if before <= after + SLIGHT / 2:
        best, settings, errors, after = doc, [], first, before
    tell(1.0)
    old = {o.id: o.material.nudge for o in doc.overlays}
    nudges = {o.id: o.material.nudge for o in best.overlays if o.material.nudge != old[o.id]}
    return Proposal(
        before,
        after,
        nudges,
        tuple(settings),
        advice.free,
        advice.unsettled,
        best,
        tuple(zip(cameras, first, errors, strict=True)),
    )


def proposal_words(found: Proposal) -> dict[str, Any]:
    """A proposal as it is printed; overlays by name."""
    names = {o.id: o.name for o in found.doc.overlays}
    return {
        "before": round(found.before, 6),
        "after": round(found.after, 6),
        "nudges": {names[k]: v for k, v in found.nudges.items()},
        "settings": [
            {"overlay": names[c.overlay], "setting": c.setting, "before": c.before, "after": c.after}
            for c in found.settings
        ],
        "free": [names[k] for k in found.free],
        "unsettled": [
            {"pair": [names[p.a], names[p.b]], "pixels": p.pixels, "error": round(p.error, 6), "settles": p.settles}
            for p in found.unsettled
        ],
        "cameras": [{"camera": c.name, "before": round(a, 6), "after": round(b, 6)} for c, a, b in found.wrong],
    }

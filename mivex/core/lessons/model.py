"""What a lesson is made of."""

import importlib
import tomllib
from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from functools import cache
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from mivex.core.evaluation.results import scene_subject
from mivex.core.findings import (
    CHECKS,
    Finding,
    MotionSubject,
    Subject,
    examine,
    examine_motion,
    examine_scene,
)
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document
from mivex.core.proof.flat import FlatView
from mivex.core.proof.layouts import draw_flat
from mivex.core.scene.draw_calls import build_environment, codes_of, render
from mivex.core.stage.camera import View
from mivex.core.stage.mesh import Mesh

TEXTS = Path(__file__).parent.parent / "assets" / "pages" / "lessons.toml"
WIDE, HIGH = 260, 180
"""Pixels of a lesson's picture."""


@dataclass(frozen=True, eq=False)
class Case:
    """A small project with its textures at hand.

    Attributes
    ----------
    doc : Document
        Its first overlay is the one that is looked at.
    textures, meshes : mappings
    flat : FlatView, optional
        The texture is drawn so, fitted to the picture; none: the stage from the first camera.
    times : tuple of float
        Seconds of the clock: one picture, or several side by side.
    """

    doc: Document
    textures: Mapping[str, Texture]
    meshes: Mapping[str, Mesh] = field(default_factory=dict)
    flat: FlatView | None = None
    times: tuple[float, ...] = (0.0,)

    def findings(self, scope: str) -> list[Finding]:
        """What the checks of a scope find in it."""
        if scope in ("texture", "sheet"):
            o = self.doc.overlays[0]
            return examine(Subject.of(o, self.textures[o.id]))
        if scope == "scene":
            return examine_scene(scene_subject(self.doc, self.textures, self.meshes))
        return examine_motion(MotionSubject(self.doc, self.textures, build_environment(self.doc, self.meshes)))

    def picture(self) -> NDArray[np.uint8]:
        """Display codes (HIGH, WIDE, 3)."""
        if self.flat is not None:
            return self._flat(self.flat)
        n = len(self.times)
        edges = [WIDE * k // n for k in range(n + 1)]
        rows = []
        for k, time in enumerate(self.times):
            gap = 2 if k + 1 < n else 0
            view = View(self.doc.cameras[0], edges[k + 1] - edges[k] - gap, HIGH, time)
            rows.append(codes_of(render(self.doc, self.textures, view, self.meshes), self.doc))
            if gap:
                rows.append(np.full((HIGH, gap, 3), 43, np.uint8))
        return np.concatenate(rows, axis=1)

    def _flat(self, view: FlatView) -> NDArray[np.uint8]:
        from dataclasses import replace

        o = self.doc.overlays[0]
        t, m = self.textures[o.id], o.material
        zoom = min(WIDE / t.width, HIGH / t.height) * (0.94 if view.layout == "single" else 1.0)
        if view.zoom != 1.0:
            zoom = view.zoom
        view = replace(
            view,
            zoom=zoom,
            left=(WIDE - t.width * zoom) / 2,
            top=(HIGH - t.height * zoom) / 2,
            blend=m.blend,
            cutoff=m.cutoff,
            opacity=m.opacity,
            tint=m.tint,
            wrap=m.tiling,
        )
        return draw_flat(t, view, WIDE, HIGH)


Make = Callable[[bool], Case]
_CASES: dict[str, Make] = {}


def case(check: str) -> Callable[[Make], Make]:
    """Register what shows a check: called with true it is as it should be, with false it has the fault."""

    def take(make: Make) -> Make:
        _CASES[check] = make
        return make

    return take


@dataclass(frozen=True)
class Lesson:
    """A page about one finding.

    Attributes
    ----------
    id, title : str
    why, avoid : str
        Why it matters; how not to have it.
    """

    id: str
    title: str
    why: str
    avoid: str

    def case(self, good: bool) -> Case:
        """The case that has the fault, or the one that has not."""
        return _CASES[self.id](good)

    def found(self, good: bool = False) -> Finding | None:
        """The finding in its case."""
        rows = self.case(good).findings(CHECKS[self.id].scope)
        return next((f for f in rows if f.id == self.id), None)


@cache
def lessons() -> dict[str, Lesson]:
    """Every lesson by the id of its finding, in the order of the checks."""
    for name in ("textures", "sheets", "scenes", "moving"):
        importlib.import_module(f"mivex.core.lessons.{name}")
    texts = tomllib.loads(TEXTS.read_text(encoding="utf-8"))
    return {k: Lesson(k, CHECKS[k].title, texts[k]["why"], texts[k]["avoid"]) for k in CHECKS if k in texts and k in _CASES}

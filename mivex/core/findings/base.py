"""What a check is, what it looks at, and what it reports."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from functools import cached_property
from typing import Any, Literal

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.kept import memoized_on
from mivex.core.findings.finding import Cost, Finding, Look, Repair
from mivex.core.findings.seen import VisibleDraws
from mivex.core.material.material import Material
from mivex.core.motion.model import Effect, Emitter
from mivex.core.motion.model import whole as whole_effect
from mivex.core.motion.simulate import EmitterSimulation, Particles, gone_at, settled_at
from mivex.core.motion.solids import Solids
from mivex.core.picture.fringes import LevelFringe, fringe_figures
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import BLENDS
from mivex.core.prepare.base import StepParams
from mivex.core.project.document import Delivery, Document, Overlay
from mivex.core.project.edits import AddSteps, FrozenEdit, SetFields
from mivex.core.scene.playback import EmitterSimulations, solids_in
from mivex.core.sheet.celled import frame_values
from mivex.core.sheet.model import Sheet
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.looks import tallied
from mivex.core.stage.mesh import Mesh, crossing
from mivex.core.stage.placements_model import Place as StagePlace
from mivex.core.stage.surroundings import World

Scope = Literal["texture", "scene", "sheet", "motion", "delivery"]


@dataclass(frozen=True, eq=False)
class Subject:
    """What checks look at: a prepared texture and, in a project, its material.

    Attributes
    ----------
    name : str
        The overlay's name or the picture's path.
    texture : Texture
    material : Material or None
        None for a picture on its own.
    overlay : str
        Id of the overlay, or empty.
    steps : tuple of StepParams
        Its recipe.
    delivery : Delivery or None
        How it leaves.
    layered : bool
        It is made of layers.
    glass : bool
        It is a pane.
    sheet : Sheet
        How its frames are played.
    stored_premultiplied : bool
        Its source is said to be multiplied by alpha.
    """

    name: str
    texture: Texture
    material: Material | None = None
    overlay: str = ""
    steps: tuple[StepParams, ...] = ()
    delivery: Delivery | None = None
    layered: bool = False
    glass: bool = False
    sheet: Sheet = field(default_factory=Sheet)
    stored_premultiplied: bool = False

    @classmethod
    def of(cls, overlay: Overlay, texture: Texture) -> "Subject":
        """An overlay of a project with its prepared texture."""
        return cls(
            overlay.name,
            texture,
            overlay.material,
            overlay.id,
            overlay.steps,
            overlay.delivery,
            bool(overlay.layers.rows),
            overlay.kind == "glass",
            overlay.sheet,
            overlay.source.alpha_stored == "premultiplied",
        )

    @property
    def wraps(self) -> bool:
        """It repeats, so that its borders meet."""
        return bool(self.material and self.material.tiling)

    @cached_property
    def fringes(self) -> list[LevelFringe]:
        """The fringe of every level; measured once."""
        return fringe_figures(self.texture, wrap=self.wraps)

    def has_step(self, *names: str) -> bool:
        """Whether any of these steps is in force."""
        return any(s.on and s.step in names for s in self.steps)

    @property
    def uses_alpha(self) -> bool:
        """False for an overlay drawn solid, whose alpha nothing looks at."""
        return self.material is None or BLENDS[self.material.blend].uses_alpha

    @cached_property
    def flat_alpha(self) -> bool:
        """Alpha is missing or the same everywhere; other checks of alpha then make no sense."""
        a = self.texture.alpha
        return not self.texture.has_alpha or float(a.min()) == float(a.max())


@dataclass(frozen=True, eq=False)
class SceneSubject:
    """What checks of the scene look at.

    Attributes
    ----------
    doc : Document
    textures : mapping of overlay id to Texture
    mesh : callable
        The mesh of one placement of an overlay.
    draws : callable
        ``draws(document, view)``: everything to draw, in order.
    stop : callable
        Asked between checks; true raises Stopped.
    """

    doc: Document
    textures: Mapping[str, Texture]
    mesh: Callable[[StagePlace], Mesh]
    draws: Callable[[Document, View], list[DrawCall]]
    stop: Callable[[], bool] = lambda: False

    @cached_property
    def seen(self) -> "list[VisibleDraws]":
        """What each camera sees; measured once."""
        return [VisibleDraws(self.doc, c, self.draws) for c in self.doc.cameras]


LOOKED = 600.0
"""Seconds of an effect in which its fullest moment is looked for."""
MOMENTS = 8
"""Moments at which all effects are counted together."""


@dataclass(frozen=True, eq=False)
class MotionSubject:
    """What checks of effects look at.

    Attributes
    ----------
    doc : Document
    textures : mapping of overlay id to Texture
    world : World
    flows : EmitterSimulations
    stop : callable
        Asked between checks; true raises Stopped.
    """

    doc: Document
    textures: Mapping[str, Texture]
    world: World
    flows: EmitterSimulations = field(default_factory=EmitterSimulations)
    stop: Callable[[], bool] = lambda: False

    @cached_property
    def effects(self) -> list[Effect]:
        """Effects that are shown, with all that they take from others."""
        return [whole_effect(e, self.doc.effects) for e in self.doc.effects if e.shown]

    @cached_property
    def solids(self) -> Solids:
        """Solid surfaces that particles of effects can meet, built once."""
        return solids_in(self.world)

    def flow(self, effect: Effect, part: Emitter) -> EmitterSimulation:
        """The compiled emission of an emitter (`Flow`), built once for all checks."""
        return self.flows.flow(self.doc, effect, part, self.world)

    def settled(self, effect: Effect) -> float:
        """A time at which an effect has as many particles as it will ever have, or nearly."""
        parts = [p for p in effect.parts if not p.muted]
        end = gone_at(effect)
        full = max((settled_at(p) for p in parts), default=0.0)
        return full if np.isinf(end) else min(full, 0.5 * end)

    def peak(self, effect: Effect, part: Emitter) -> float:
        """The middle of the time in which most particles of a part live, over two whole runs at least.

        Where about as many live once it has settled, that time: an even stream has no worst moment.
        """
        return memoized_on(self.flow(effect, part), "peak", lambda: self._peak(effect, part))

    def _peak(self, effect: Effect, part: Emitter) -> float:
        e, longest = part.emission, part.birth.life[1]
        runs = {"loop": 2, "once": 1, "times": min(e.times, 2)}[e.runs]
        until = min(e.delay + runs * e.duration + 2 * longest, LOOKED)
        settled = min(self.settled(effect), 3600.0)
        flow = self.flow(effect, part)
        flow.at(max(until, settled))
        b = flow.births
        if b is None or not len(b.time):
            return settled
        times = np.concatenate([b.time, b.time + b.life])
        order = np.argsort(times, kind="stable")
        alive = np.cumsum(np.repeat([1, -1], len(b.time))[order])
        times = times[order]
        inside = times <= until
        if not inside.any():
            return settled
        most = int(alive[inside].max())
        if len(flow.alive(settled)) >= 0.85 * most - 1:
            return settled
        # From the last birth of the fullest moment to the first end after it: there they are neither new nor gone.
        k = int(np.flatnonzero(inside & (alive == most))[0])
        return float(times[k] + times[min(k + 1, len(times) - 1)]) / 2

    def particles(self, effect: Effect, part: Emitter) -> Particles:
        """Particles of a part when most of them live."""
        return self.flow(effect, part).at(self.peak(effect, part))

    def refused(self, effect: Effect, part: Emitter) -> tuple[int, int]:
        """Of a life's time round the fullest moment: births that come to be, and those that the greatest number refuses."""
        flow, middle = self.flow(effect, part), self.peak(effect, part)
        begin, until = middle - part.birth.life[1], middle + part.birth.life[1]
        flow.at(min(until, 3600.0))
        b = flow.births
        if b is None or not len(b.number):
            return 0, 0
        return tuple(int(((t >= begin) & (t < until)).sum()) for t in (b.time, b.refused))  # type: ignore[return-value]

    def frame_alpha(self, overlay: Overlay, part: Emitter) -> tuple[float, float]:
        """Largest alpha of the frames that are shown at birth and at death; additive light counts by its brightness."""
        t = self.textures[overlay.id]
        seen = t.values if overlay.material.blend != "Additive" else t.values * t.values[..., :3].max(axis=2, keepdims=True)
        parts = [float(v[..., 3].max()) for v in frame_values(seen, t.traits.cells)] or [float(seen[..., 3].max())]
        if overlay.sheet.play == "random" or part.birth.frame in ("random", "play"):
            return max(parts), max(parts)
        return (parts[0], parts[-1]) if part.birth.frame == "life" and part.life.frame is None else (max(parts), max(parts))

    def overdraw(self, effect: Effect, part: Emitter) -> tuple[float, float]:
        """Most fragments of a pixel, and the share of the covered ones above the budget; of one part, at its fullest."""
        alone = effect.model_copy(
            update={
                "parts": tuple(p if p is part else p.model_copy(update={"muted": True}) for p in effect.parts),
                "copy_of": "",
            }
        )
        if not self.doc.cameras:
            return 0.0, 0.0
        return self._tallied((alone,), self.peak(effect, part))

    def overdraw_of_all(self) -> tuple[float, float, float]:
        """As `overdraw`, of all parts of all effects together, at the worst of their fullest moments; and that time."""
        times = {round(self.peak(e, p), 2) for e in self.effects for p in e.parts if not p.muted}
        shown = tuple(e for e in self.doc.effects if e.shown)
        rows = [(*self._tallied(shown, t), t) for t in sorted(times)[:MOMENTS]] if self.doc.cameras else []
        return max(rows, key=lambda r: r[1], default=(0.0, 0.0, 0.0))

    def _tallied(self, effects: tuple[Effect, ...], time: float) -> tuple[float, float]:
        view = View(self.doc.cameras[0], 256, 160, time)
        doc = self.doc.model_copy(update={"effects": effects})
        draws = self.flows.draws(doc, self.textures, view, self.world)
        counts, _ = tallied(draws, view, self.doc.lighting)
        seen = counts > 0
        return float(counts.max()), float((counts[seen] > self.doc.overdraw).mean()) if seen.any() else 0.0

    def born(self, effect: Effect, part: Emitter) -> list[NDArray[np.float64]]:
        """Where up to 64 of its particles are born."""
        return self.flow(effect, part).birthplaces(64)

    def within(self, at: NDArray[np.float64]) -> bool:
        """Whether a place lies inside something solid: straight above it a surface looks away from it."""
        best = None
        for mesh in self.world.surroundings.meshes:
            found = crossing(mesh, at + np.array([0.0, 1e-4, 0.0]), np.array([0.0, 1.0, 0.0]))
            if found is not None and (best is None or found[0] < best[0]):
                corners = mesh.corners[found[1]]
                best = found[0], float(np.cross(corners[1] - corners[0], corners[2] - corners[0])[1])
        return best is not None and best[1] > 0

    def hard(self, overlay: Overlay) -> bool:
        """Whether a picture has hardly any soft parts, so that it may cut into things."""
        a = self.textures[overlay.id].alpha
        seen = a > 0.02
        return not seen.any() or float((seen & (a < 0.9)).sum() / seen.sum()) < 0.1


@dataclass(frozen=True)
class Check:
    """A registered check.

    Attributes
    ----------
    id, title : str
    measure : callable
        ``measure(subject) -> list[Finding]``; what the subject is goes by the scope.
    station : str
        Where on the track it is mended.
    look : Look, or callable from a Finding to one
        How its place is shown.
    scope : str
        What it looks at: one texture, the whole scene, …
    """

    id: str
    title: str
    measure: Callable[[Any], list[Finding]]
    station: str
    look: "Look | Callable[[Finding], Look]" = field(default_factory=Look)
    scope: Scope = "texture"

    def looking(self, finding: Finding) -> Look:
        """How the place of one of its findings is shown."""
        return self.look if isinstance(self.look, Look) else self.look(finding)


def mend(
    subject: "Subject", label: str, steps: tuple[StepParams, ...] = (), *, cost: Cost | None = None, **parts: dict[str, Any]
) -> Repair:
    """A repair of one overlay: steps at the end of its recipe, and fields of its material, source or delivery."""
    rows: list[FrozenEdit] = [AddSteps(subject.overlay, steps)] if steps else []
    rows += [SetFields(subject.overlay, part, tuple(values.items())) for part, values in parts.items()]
    return Repair(label, tuple(rows), cost)

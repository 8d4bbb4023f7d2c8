"""What is known of each thing that can be shown: kept here, and asked for.

A target is what somebody wants to see; its result is one frozen record of everything known of it. `follow` says which
document counts, `due` what has to be computed for it, `make` computes (in any thread) and `take` puts the outcome in.
Nothing here knows of a window or of threads.
"""

import time
from collections.abc import Callable, Hashable, Mapping
from dataclasses import replace

from mivex.core.base.errors import Stopped
from mivex.core.base.kept import serial
from mivex.core.base.log import sentence
from mivex.core.base.messages import Message, term
from mivex.core.evaluation.targets import Result, Target
from mivex.core.findings import (
    Finding,
    MotionSubject,
    SceneSubject,
    Subject,
    examine,
    examine_motion,
    examine_scene,
    likely,
)
from mivex.core.findings.facts import facts_of
from mivex.core.findings.ignoring import ignored_in, settled
from mivex.core.picture.picture import guess_meaning
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import PROXY_SIDE, Evaluator
from mivex.core.project.in_view import ShownPart, TexturePiece, in_view
from mivex.core.project.layering import EvaluationRequest, made_of
from mivex.core.project.looking import view_texture
from mivex.core.proof.histogram import histogram
from mivex.core.scene.draw_calls import Scene, build_environment, place_mesh
from mivex.core.stage.mesh import Mesh
from mivex.core.stage.placement_geometry import with_uvs
from mivex.core.stage.placements_model import MeshPlace

AT_HAND = 4096 * 4096
"""Texels up to which the mip chain of the texture before its recipe is held ready."""
INPUTS = 12
"""Steps' inputs that are kept."""
Stop = Callable[[], bool]


NOTHING = Result(Target())
MESH = "mesh"
"""Meaning of a target that is a mesh file."""
SCENE = Target(overlay="", meaning="scene")
"""The whole stage."""


def scene_subject(
    doc: Document, textures: Mapping[str, Texture], meshes: Mapping[str, Mesh], stop: Stop = lambda: False
) -> SceneSubject:
    """What checks of the scene look at."""
    world, scene = build_environment(doc, meshes), Scene()
    return SceneSubject(
        doc, textures, lambda p: place_mesh(p, world), lambda d, view: scene.draws(d, textures, view, meshes), stop
    )


def examine_whole(
    doc: Document,
    textures: dict[str, Texture],
    meshes: dict[str, Mesh],
    key: Hashable,
    stop: Stop = lambda: False,
) -> Result:
    """Measure the whole scene, what moves in it too; in any thread."""
    found = examine_scene(scene_subject(doc, textures, meshes, stop))
    moving = examine_motion(MotionSubject(doc, textures, build_environment(doc, meshes), stop=stop))
    return Result(SCENE, examined=key, findings=(*found, *moving))


class Results:
    """Results by target, and what is due."""

    def __init__(self) -> None:
        self._rows: dict[Target, Result] = {}
        self._wanted: dict[Target, None] = {}
        self._doc = Document.model_construct()
        self._folder = ""
        self._generation = 0
        self._by_id: dict[str, Target] = {}
        self._made: dict[str, tuple[Overlay, tuple]] = {}
        self.looking: ShownPart | None = None
        """What somebody looks at; what is on the screen is made before what is not."""

    # Asking --------------------------------------------------------------------------------------

    def get(self, target: Target | str) -> Result:
        """What is known of a target, or of the overlay of that id; an empty result where nothing is."""
        if isinstance(target, str):
            found = self._by_id.get(target)
            if found is None:
                found = self._by_id[target] = Target(target)
            target = found
        return self._rows.get(target, NOTHING)

    def want(self, target: Target) -> Result:
        """What is known of a target that is not always kept ready; from now on it is due when out of date."""
        self._wanted.pop(target, None)
        self._wanted[target] = None
        while len(self._wanted) > INPUTS:
            gone = next(iter(self._wanted))
            self._wanted.pop(gone)
            self._rows.pop(gone, None)
        return self.get(target)

    def textures(self) -> dict[Target, Texture]:
        """Every texture there is, by target."""
        return {t: r.texture for t, r in self._rows.items() if r.texture is not None}

    def overlays(self) -> dict[str, Texture]:
        """Finished textures by overlay id."""
        return {t.overlay: x for t, x in self.textures().items() if t.overlay and t.finished}

    def meshes(self) -> dict[str, Mesh]:
        """Every mesh there is, by path."""
        return {t.path: r.mesh.mesh for t, r in self._rows.items() if r.mesh is not None}

    # Following -----------------------------------------------------------------------------------

    def key(self, target: Target) -> Hashable:
        """What a target is made of in the document that counts; None where it cannot be made."""
        if target.path:
            return target, self._folder, self._generation
        o = self._doc.overlay(target.overlay)
        if o is None or not o.source.ready:
            return None
        made = self._made.get(o.id)
        if made is None or made[0] is not o or made[1][2]:
            # Overlays that read others are looked at anew: those may have changed.
            made = self._made[o.id] = o, made_of(self._doc, o)
        if target.look:
            return target.look, o.source, made[1], self._folder, self._generation
        steps = o.steps if target.until < 0 else o.steps[: target.until]
        return (o.source, o.sheet.grids, steps, made[1], o.delivery.bits, o.delivery.format, self._folder, self._generation)

    def clear(self) -> None:
        """Forget all textures, meshes and findings, as when a window closes."""
        self._rows.clear()
        self._wanted.clear()

    def follow(self, doc: Document, folder: str, files: tuple[Target, ...] = ()) -> list[str]:
        """Another document counts from now on; ``files`` are the pictures its materials read.

        Returns
        -------
        list of str
            Overlays that have lost their texture, or turned out to have nothing to start from.
        """
        self._doc, self._folder = doc, folder
        ids = {o.id for o in doc.overlays}
        self._made = {k: v for k, v in self._made.items() if k in ids}
        self._by_id = {k: v for k, v in self._by_id.items() if k in ids}
        for t in [t for t in self._rows if (t.overlay and t.overlay not in ids) or (t.path and t not in files)]:
            self._rows.pop(t)
        for t in [t for t in self._wanted if t.overlay not in ids]:
            self._wanted.pop(t)
        for t in files:
            self._rows.setdefault(t, Result(t))
        lost = []
        for o in doc.overlays:
            t = Target(o.id)
            if not o.source.ready and (t not in self._rows or self._rows[t].texture is not None):
                self._rows[t] = Result(t)
                lost.append(o.id)
        return lost

    def read_again(self) -> None:
        """Files have changed: everything is out of date."""
        self._generation += 1

    def due(self, first: str = "") -> list[tuple[Target, Hashable]]:
        """Overlays and files that are out of date, with what they are to be made of; ``first`` comes first."""
        rows = [Target(o.id) for o in self._doc.overlays] + [t for t in self._rows if t.path]
        rows.sort(key=lambda t: t.overlay != first)
        return self._stale(rows)

    def inputs_due(self) -> list[tuple[Target, Hashable]]:
        """Wanted steps' inputs that are out of date."""
        return self._stale(list(self._wanted))

    def _stale(self, rows: list[Target]) -> list[tuple[Target, Hashable]]:
        pairs = [(t, self.key(t)) for t in rows]
        return [(t, k) for t, k in pairs if k is not None and self.get(t).key != k]

    # Computing -----------------------------------------------------------------------------------

    def make(
        self,
        doc: Document,
        evaluator: Evaluator,
        target: Target,
        key: Hashable,
        report: Callable[[Result], object],
        stop: Stop,
        tell: Callable[[str], None],
    ) -> None:
        """Compute one target; reports a proxy first where that is worth while. Raises Stopped, nothing else."""
        try:
            if target.meaning == MESH:
                report(Result(target, key, True, mesh=evaluator.mesh(target.path)))
                return
            if target.path:
                texture = evaluator.file_texture(target.path, target.meaning)  # type: ignore[arg-type]
                _ = texture.mips
                report(Result(target, key, True, texture=texture))
                return
            o = doc.overlay(target.overlay)
            if o is None:
                return
            if target.look:
                texture = view_texture(evaluator, o, EvaluationRequest(stop, doc=doc), target.look)
                _ready(texture)
                report(Result(target, key, True, texture=texture))
                return
            if target.until >= 0:
                texture = evaluator.texture(o, doc, until=target.until, stop=stop)
                _ready(texture)
                report(Result(target, key, True, texture=texture))
                return
            self._overlay(o, doc, evaluator, Result(target, key), report, stop, tell)
        except Stopped:
            raise
        except BaseException as e:
            # That target's problem only: the others go on being prepared.
            report(Result(target, key, True, problem=sentence(e, f"preparing {_name(doc, target)!r}")))

    def _overlay(
        self,
        o: Overlay,
        doc: Document,
        evaluator: Evaluator,
        blank: Result,
        report: Callable[[Result], object],
        stop: Stop,
        tell: Callable[[str], None],
    ) -> None:
        picture = evaluator.start_of(o)
        known = replace(blank, picture=picture, meaning=guess_meaning(picture))
        if max(picture.width, picture.height) > PROXY_SIDE:
            proxy = evaluator.texture(o, doc, proxy=True, stop=stop)
            _ready(proxy)
            first = replace(known, key=None, texture=proxy, before=evaluator.texture(o, proxy=True, bare=True))
            report(first)
            shown = self.looking
            if shown is not None and shown.overlay == o.id and (seen := in_view(evaluator, o, doc, shown, stop)):
                if isinstance(seen, TexturePiece):
                    report(replace(first, piece=seen))
                else:
                    _ready(seen)
                    report(replace(first, texture=seen))
            # Let the proofs draw it before full size takes the cores; a slider in motion ends it here.
            for _ in range(5):
                if stop():
                    raise Stopped
                time.sleep(0.012)
        full = evaluator.texture(
            o, doc, stop=stop, tell=lambda step: tell(Message("“{name}”: {step}", name=o.name, step=term(step)))
        )
        before = evaluator.texture(o, bare=True, stop=stop)
        if before.values is full.values and before.traits == full.traits:
            before = full
        elif before.width * before.height <= AT_HAND:
            _ = before.mips  # of larger ones when before and after is looked at
        _ready(full)
        report(replace(known, full=True, texture=full, before=before))

    def take(self, result: Result) -> bool:
        """Put in what was made; returns whether it changes anything. What is too late is dropped."""
        t = result.target
        if (
            (t.overlay and self._doc.overlay(t.overlay) is None)
            or (t.path and t not in self._rows)
            or (not t.finished and t not in self._wanted)
        ):
            return False
        old = self.get(t)
        if result.full and result.key != self.key(t):
            # Made for an earlier document: shown until its successor comes, but out of date.
            result = replace(result, key=None)
        self._rows[t] = (
            replace(result, examined=old.examined, findings=old.findings, figures=old.figures)
            if result.texture is not None
            else result
        )
        return True

    # Examining -----------------------------------------------------------------------------------

    def unexamined(self, first: str = "") -> list[tuple[Overlay, Result, Hashable]]:
        """Overlays at full size whose findings are out of date."""
        rows = []
        for o in self._doc.overlays:
            r = self.get(o.id)
            if r.texture is not None and r.texture.scale >= 1:
                key = (r.texture.key, o.name, o.material, o.delivery, o.sheet, self._doc.ignored)
                if r.examined != key:
                    rows.append((o, r, key))
        return sorted(rows, key=lambda row: row[0].id != first)

    def scene_unexamined(self) -> Hashable:
        """What the scene's findings are to be measured for, where they are out of date; else None."""
        key = tuple(
            (o.id, o.name, o.shown, o.material, o.places, o.sheet, (t.key if (t := self.get(o.id).texture) else ""))
            for o in self._doc.overlays
        )
        d = self._doc
        whole = (
            key,
            d.effects,
            d.air,
            d.around,
            d.cameras,
            d.lighting,
            d.overdraw,
            tuple(sorted((k, serial(m)) for k, m in self.meshes().items())),
        )
        return None if self.get(SCENE).examined == whole or not self.ready else whole

    @property
    def ready(self) -> bool:
        """Every overlay that can be prepared is there at full size, or is known not to work."""
        return not any(t.overlay for t, _ in self.due())

    def mesh_of(self, place: MeshPlace) -> Mesh | None:
        """The mesh of a placement's file with its UV sets, where it is read already."""
        found = self.meshes().get(place.path)
        return None if found is None else with_uvs(place, found)

    def findings_of(self, overlay_id: str) -> list[Finding]:
        """Everything found on an overlay, by itself and in the scene."""
        return [*self.get(overlay_id).findings, *(f for f in self.get(SCENE).findings if overlay_id in f.overlays)]

    def all_findings(self) -> list[Finding]:
        """Findings of every overlay and of the scene: what does most on screen first, what is only possible last.

        What another finding causes stands right behind that one.
        """
        rows = [f for o in self._doc.overlays for f in self.get(o.id).findings]
        below: dict[tuple[str, str], list[Finding]] = {}
        for f in rows:
            if f.under:
                below.setdefault((f.overlay, f.under), []).append(f)
        first = sorted(
            [*(f for f in rows if not f.under), *self.get(SCENE).findings],
            key=lambda f: (f.certainty == "possible", -f.weight),
        )
        return [g for f in first for g in (f, *below.get((f.overlay, f.id), ()))]

    def finding_counts(self) -> dict[str, int]:
        """How many likely findings there are on each overlay that has some, by itself and in the scene."""
        counts: dict[str, int] = {}
        for target, r in self._rows.items():
            if target.overlay and target.finished and r.findings:
                counts[target.overlay] = counts.get(target.overlay, 0) + len(likely(r.findings))
        for f in likely(self.get(SCENE).findings):
            for key in f.overlays:
                counts[key] = counts.get(key, 0) + 1
        return counts

    def examine(self, evaluator: Evaluator, overlay: Overlay, result: Result, key: Hashable) -> Result:
        """Measure one overlay; in any thread."""
        assert result.texture is not None
        subject = Subject.of(overlay, result.texture)
        plain = None
        if result.texture.distance > 0:
            at = max((i for i, s in enumerate(overlay.steps) if s.on and s.step == "signed-distance"), default=-1)
            plain = evaluator.texture(overlay, self._doc, until=at) if at >= 0 else None
        row = (
            ignored_in(self._doc, evaluator.folder, overlay.source.path)
            if self._doc.ignored and overlay.source.path
            else None
        )
        found = settled(examine(subject), row)
        return replace(result, examined=key, findings=found, figures=facts_of(subject, plain))

    def take_findings(self, result: Result) -> bool:
        """Put in what was measured, next to whatever texture there is by now."""
        now = result if result.target == SCENE else self._rows.get(result.target)
        if now is None:
            return False
        self._rows[result.target] = replace(now, examined=result.examined, findings=result.findings, figures=result.figures)
        return True


def _name(doc: Document, target: Target) -> str:
    o = doc.overlay(target.overlay)
    return o.name if o is not None else target.path


def _ready(texture: Texture) -> None:
    """Work out, here and now, what every proof of it asks for."""
    _ = texture.mips, histogram(texture)

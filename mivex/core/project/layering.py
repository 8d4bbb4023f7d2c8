"""What an overlay's layers read from outside: pictures, other overlays, the mesh that it sits on; and kept bakes."""

import contextlib
from collections.abc import Callable
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any, Protocol

import numpy as np

from mivex.core.base.errors import MivexError
from mivex.core.base.graph import Graph, Node, hashed
from mivex.core.base.messages import Message, term
from mivex.core.base.types import Floats
from mivex.core.layers.laying import laid
from mivex.core.layers.masks import LayerInputs, stamp_from
from mivex.core.layers.model import Geometry, Group, Layer, UvTransform
from mivex.core.layers.patterns.base import PatternParams
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.picture.picture import Picture, quantise
from mivex.core.pixels.mips import MipChain
from mivex.core.prepare.base import Surface
from mivex.core.prepare.drawing import drawn_beneath
from mivex.core.project.document import Document, Overlay
from mivex.core.stage.baking import Probe, geometry_mask, overlap
from mivex.core.stage.face_selection import region_mask
from mivex.core.stage.meshes import LoadedMesh
from mivex.core.stage.placement_geometry import with_uvs
from mivex.core.stage.placements_model import MeshPlace
from mivex.core.stage.space_patterns import pattern_in_space
from mivex.core.stage.surface_pulls import SurfaceBrush

BAKE_SIDE, PROXY_BAKE = 1024, 256
"""Largest side of a mask from a mesh: of a finished picture, and of a first look."""
PROXY_RAYS = 8
OVERLAP = 0.02
"""Share of what UVs cover from which it is told that they lie over each other."""
LARGE = 2048 * 2048
"""From so many texels on, states between layers are not kept: they would take gigabytes."""


@dataclass(frozen=True)
class EvaluationRequest:
    """How something is asked for: stop, tell, and which overlays are being worked out already."""

    stop: Callable[[], bool] = lambda: False
    tell: Callable[[str], None] = lambda _: None
    doc: Document | None = None
    proxy: bool = False
    side: int = 0
    """Longer side of the canvas, where it is to be another than the picture's own."""
    seen: tuple[str, ...] = ()
    nodes: dict[str, Node] = field(default_factory=dict, compare=False)
    """Nodes of other overlays that were built for the same asking: those that many read are built once."""


NO_ASK = EvaluationRequest()


class EvaluatorProtocol(Protocol):
    """What layers need of the evaluator; it stands above this module and is handed in."""

    graph: Graph
    bakes: Path | None

    def picture(self, path: str) -> Picture:
        """The picture of a file, read once; raises MivexError."""

    def mesh(self, path: str) -> LoadedMesh:
        """The mesh of a file, read once; raises MivexError."""

    def file_mark(self, path: str) -> str:
        """Names a file as it is now."""

    def node_of(self, overlay: Overlay, ask: EvaluationRequest = NO_ASK, until: int | None = None) -> Node:
        """The graph's node of an overlay's surface: after all its steps, or before step ``until``."""


def bakes_folder(project: str | Path) -> Path:
    """Where a project's bakes are kept: beside its file."""
    whole = Path(project)
    return whole.parent / f"{whole.stem}.bakes"


def mesh_place(overlay: Overlay) -> MeshPlace | None:
    """The placement whose mesh an overlay's masks are worked out from: its first on a mesh."""
    return next((p for p in overlay.places if isinstance(p, MeshPlace) and p.path), None)


def overlays_read(overlay: Overlay) -> list[str]:
    """Ids of the overlays whose results an overlay's layers read."""
    rows: list[str] = []
    for r in overlay.layers.walk():
        rows += [p.overlay for p in r.mask.parts if p.source == "overlay" and p.overlay]
        if isinstance(r, Layer):
            rows += [r.laid_over] if r.laid_over else []
            rows += [c.overlay for c in r.cells.values() if c.source == "overlay" and c.overlay]
    return list(dict.fromkeys(rows))


def made_of(doc: Document, overlay: Overlay) -> tuple[object, ...]:
    """Everything in the document that an overlay's result depends on besides its steps; comparable.

    Overlays that it reads, directly or through others, stand in one flat row, each once: nested, a few dozen that each read
    two others would take forever to list and to compare.
    """

    def own(o: Overlay) -> tuple[object, ...]:
        mesh = mesh_place(o)
        where = (mesh.path, mesh.second, o.material.mapping) if mesh else None
        return o.layers, where, drawn_beneath(o.steps)

    read = overlays_read(overlay)
    if not read:
        return *own(overlay), ()
    rows: dict[str, tuple[object, ...]] = {}
    waiting = list(read)
    while waiting:
        o = doc.overlay(waiting.pop())
        if o is not None and o.id not in rows:
            rows[o.id] = (o.id, o.source, o.steps, *own(o))
            waiting += overlays_read(o)
    return *own(overlay), tuple(rows.values())


def use_each_other(doc: Document, overlay_id: str) -> str:
    """A sentence where an overlay's layers come back to itself by way of others; empty where they do not."""
    # Each overlay is looked at once: a few dozen that each read two others have more ways than can be walked.
    came_from: dict[str, str] = {}
    waiting = [overlay_id]
    way: tuple[str, ...] = ()
    while waiting and not way:
        at = waiting.pop()
        o = doc.overlay(at)
        for k in overlays_read(o) if o else []:
            if k == overlay_id:
                back = [at]
                while back[-1] != overlay_id:
                    back.append(came_from[back[-1]])
                way = (*reversed(back), k)
                break
            if k not in came_from:
                came_from[k] = at
                waiting.append(k)
    names = [o.name for k in way if (o := doc.overlay(k)) is not None]
    if not names:
        return ""
    if len(set(way)) == 1:
        return Message("“{names}” cannot use its own result.", names=names[0])
    return Message(
        "“{names}” and “{names2}” would use each other's result; neither can come first.", names=names[0], names2=names[1]
    )


def files_read(overlay: Overlay) -> list[str]:
    """Paths of the pictures that an overlay's layers read."""
    rows: list[str] = []
    for r in overlay.layers.walk():
        rows += [p.path for p in r.mask.parts if p.source == "picture"]
        strokes = [s for p in r.mask.parts for s in p.strokes]
        if isinstance(r, Layer):
            rows += [c.path for c in r.cells.values() if c.source == "picture"]
            strokes += r.strokes
        rows += [s.tip.stamp for s in strokes if s.tip.form == "stamp"]
    return sorted({r for r in rows if r})


def with_paths(overlay: Overlay, change: Callable[[str], str]) -> Overlay:
    """The same overlay with every path that its layers name changed."""

    def part(p: Any) -> Any:
        return p.model_copy(update={"path": change(p.path), "strokes": tuple(map(stroke, p.strokes))})

    def stroke(s: Any) -> Any:
        return s.model_copy(update={"tip": s.tip.model_copy(update={"stamp": change(s.tip.stamp)})}) if s.tip.stamp else s

    def row(r: Layer | Group) -> Layer | Group:
        mask = r.mask.model_copy(update={"parts": tuple(part(p) for p in r.mask.parts)}) if r.mask.parts else r.mask
        if isinstance(r, Group):
            return r.model_copy(update={"mask": mask, "rows": tuple(row(x) for x in r.rows)})
        cells = {k: c.model_copy(update={"path": change(c.path)}) if c.path else c for k, c in r.cells.items()}
        return r.model_copy(update={"mask": mask, "cells": cells, "strokes": tuple(map(stroke, r.strokes))})

    if not overlay.layers.rows:
        return overlay
    return overlay.model_copy(
        update={"layers": overlay.layers.model_copy(update={"rows": tuple(row(r) for r in overlay.layers.rows)})}
    )


def outside_of(
    evaluator: EvaluatorProtocol, overlay: Overlay, size: tuple[int, int], ask: EvaluationRequest
) -> LayerInputs:
    """What the layers of an overlay need, at the size (height, width) of their canvas."""
    mesh = mesh_place(overlay)
    uv_set = overlay.material.mapping.uv_set
    notes: list[str] = []

    def other(overlay_id: str) -> Overlay:
        found = ask.doc.overlay(overlay_id) if ask.doc is not None else None
        if found is None:
            raise MivexError("the overlay that it reads is gone.")
        if overlay_id in (overlay.id, *ask.seen):
            raise MivexError(Message("“{name}” and “{name2}” use each other.", name=found.name, name2=overlay.name))
        if not found.source.ready:
            raise MivexError(Message("“{name}” has no picture yet.", name=found.name))
        return found

    def inner() -> EvaluationRequest:
        return EvaluationRequest(ask.stop, ask.tell, ask.doc, ask.proxy, ask.side, (*ask.seen, overlay.id), ask.nodes)

    def node_of_other(overlay_id: str) -> Node:
        if (found := ask.nodes.get(overlay_id)) is None:
            found = ask.nodes[overlay_id] = evaluator.node_of(other(overlay_id), inner())
        return found

    def mark(kind: str, what: str) -> str:
        with contextlib.suppress(MivexError):
            if kind == "picture":
                return evaluator.picture(what).key
            if kind == "overlay":
                return node_of_other(what).key
            if kind == "mesh" and mesh is not None:
                return hashed(evaluator.file_mark(mesh.path), str(uv_set), mesh.second.model_dump_json() if uv_set else "")
            if kind == "surface" and mesh is not None:
                return hashed(mark("mesh", ""), str(overlay.material.mapping.rows))
        return "missing"

    def overlay_surface(overlay_id: str) -> Surface:
        worked = evaluator.graph.value(node_of_other(overlay_id), ask.stop)
        notes.extend(n for n in worked.notes if n not in notes)
        found: Surface = worked.surface
        return found

    def geometry(g: Geometry) -> Floats:
        assert mesh is not None
        held = evaluator.mesh(mesh.path)
        loaded = with_uvs(mesh, held.mesh)
        told = [n for n in held.notes if "UV" in n] if not uv_set else []
        if (share := overlap(loaded, uv_set)) > OVERLAP:
            told.append(Message("its UVs lie over each other on {share:.0%} of the picture.", share=share))
        for words in told:
            line = Message("“{name}”: {words}", name=Path(mesh.path).name, words=term(words))
            if line not in notes:
                notes.append(line)
        side = PROXY_BAKE if ask.proxy else BAKE_SIDE
        k = min(1.0, side / max(size))
        small = max(1, round(size[0] * k)), max(1, round(size[1] * k))
        rays = min(g.rays, PROXY_RAYS) if ask.proxy else g.rays
        slow = g.kind in ("occlusion", "cavity", "thickness")
        key = hashed("geometry", mark("mesh", ""), g.model_dump_json(), str(small), str(rays))

        def make() -> Floats:
            kept = evaluator.bakes / f"{key}.png" if evaluator.bakes is not None and slow and not ask.proxy else None
            if kept is not None and kept.is_file():
                with contextlib.suppress(MivexError):
                    return np.ascontiguousarray(read_picture(kept).values[..., 0])
            title = Message("“{name}”: {kind} from the mesh", name=overlay.name, kind=term(g.kind))
            ask.tell(title)
            probe = Probe(g.kind, g.reach, rays, g.axis, g.low, g.high, g.size, uv_set)
            made = geometry_mask(
                loaded, probe, small, ask.stop, lambda t: ask.tell(Message("{title}, {t:.0%}", title=term(title), t=t))
            )
            made = quantise(np.clip(made, 0, 1), 16)
            if kept is not None:
                with contextlib.suppress(OSError, MivexError):  # a bake that cannot be kept is made again
                    kept.parent.mkdir(exist_ok=True)
                    write_picture(kept, np.repeat(made[..., None], 3, axis=2), 16, data=True)
            return made

        baked = evaluator.graph.value(Node(key, make, size=lambda a: int(a.nbytes)), ask.stop)
        return laid(baked, UvTransform(), size)

    def region(faces: str) -> Floats:
        assert mesh is not None
        loaded = with_uvs(mesh, evaluator.mesh(mesh.path).mesh)
        key = hashed("region", mark("mesh", ""), faces, str(size))
        found: Floats = evaluator.graph.value(
            Node(key, lambda: region_mask(loaded, faces, size, uv_set), size=lambda a: int(a.nbytes)), ask.stop
        )
        return found

    def surface() -> SurfaceBrush:
        assert mesh is not None
        loaded = with_uvs(mesh, evaluator.mesh(mesh.path).mesh)
        rows = np.array(overlay.material.mapping.rows, np.float64)
        return SurfaceBrush(loaded, size, uv_set, rows, stamp_from(lambda p: evaluator.picture(p).values))

    def space(pattern: PatternParams, how: UvTransform) -> Floats:
        assert mesh is not None
        loaded = with_uvs(mesh, evaluator.mesh(mesh.path).mesh)
        rows = np.array(overlay.material.mapping.rows, np.float64)
        return pattern_in_space(loaded, pattern, how, size, uv_set, rows, keep)

    def keep(key: str, make: Callable[[], object]) -> object:
        return evaluator.graph.value(Node(hashed("kept", key), make, size=_bytes), ask.stop)

    return LayerInputs(
        size,
        lambda p: evaluator.picture(p).values,
        overlay_surface,
        geometry if mesh else None,
        region if mesh else None,
        surface if mesh else None,
        space if mesh else None,
        mark,
        keep,
        lambda p: evaluator.picture(p).linear,
        notes,
    )


def _bytes(made: Any) -> int:
    if isinstance(made, dict):
        return sum(int(p.value.nbytes) + int(p.weight.nbytes) for p in made.values()) + 1
    return int(made.texels.nbytes if isinstance(made, MipChain) else made.nbytes)

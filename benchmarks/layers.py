"""(g) Layers: ten of them, a change in the top half, a dab, a large bake, occlusion from a mesh."""

import resource
import time
from statistics import median

import numpy as np

from benchmarks.timing import line
from mivex.core.layers.builds import build_named, instance
from mivex.core.layers.dabs import Cover, dabs_of
from mivex.core.layers.model import ChannelSource, Layer, Mask, MaskPart, Stack, base_for
from mivex.core.layers.patterns import PATTERNS
from mivex.core.layers.strokes import PaintStroke, Tip
from mivex.core.project import edits, layer_edits
from mivex.core.project.document import Document
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.in_view import ShownPart, in_view
from mivex.core.project.layering import EvaluationRequest
from mivex.core.project.looking import live_paint
from mivex.core.stage.baking import Probe, geometry_mask
from mivex.core.stage.mesh import Mesh
from mivex.core.stage.surface_strokes import SurfaceCover

KINDS = ("stain", "scratches", "droplets", "streaks", "fingers", "perforation", "splash", "stripes", "wear", "noise")


def _doc(side: int, rows: tuple) -> tuple[Document, str]:
    doc, key = edits.add_blank(Document(), "Pane", "glass", (side, side))
    stack = Stack(base=base_for("glass"), rows=rows)
    return edits.map_overlay(doc, key, lambda o: o.model_copy(update={"layers": stack})), key


def _ten() -> tuple[Layer, ...]:
    cells = {
        "colour": ChannelSource(colour=(0.6, 0.55, 0.5)),
        "opacity": ChannelSource(number=0.7),
        "roughness": ChannelSource(number=0.8),
    }
    return tuple(
        Layer(
            id=k,
            name=k,
            cells=cells,
            strength=0.8,
            mask=Mask(parts=(MaskPart(source="pattern", pattern=PATTERNS[k].params()),)),
        )
        for k in KINDS
    )


def _surface(evaluator: Evaluator, doc: Document) -> object:
    return evaluator.graph.value(evaluator.node_of(doc.overlays[0], EvaluationRequest(doc=doc)))


def main() -> None:
    """Measure."""
    doc, key = _doc(1024, _ten())
    _surface(Evaluator(), doc)
    whole, part = [], []
    for k in range(5):
        evaluator = Evaluator()
        start = time.perf_counter()
        _surface(evaluator, doc)
        whole.append((time.perf_counter() - start) * 1e3)
        changed = layer_edits.set_row(doc, key, KINDS[6], strength=0.3 + 0.1 * k)
        start = time.perf_counter()
        _surface(evaluator, changed)
        part.append((time.perf_counter() - start) * 1e3)
    plain = np.ones((1024, 1024, 4), np.float32)
    copies = []
    for _ in range(5):
        start = time.perf_counter()
        for _k in range(10):
            plain = plain * np.float32(0.99)
        copies.append((time.perf_counter() - start) * 1e3)
    line(
        "ten layers, 1024 px, from nothing",
        median(whole),
        "ten products of such pictures in NumPy",
        median(copies),
        "300 ms",
    )
    line("one setting in the top half changed", median(part), "the same from nothing", median(whole), "60 ms")

    doc, key = _doc(
        2048,
        (
            instance(build_named("Scratched pane")),
            Layer(id="p", cells={"opacity": ChannelSource(source="painted"), "colour": ChannelSource(source="painted")}),
            instance(build_named("Smeared pane")),
        ),
    )
    evaluator = Evaluator()
    _surface(evaluator, doc)
    live = live_paint(evaluator, doc.overlays[0], doc, "p")
    points = tuple((0.2 + 0.006 * k, 0.3 + 0.1 * np.sin(k / 8), 1.0) for k in range(90))
    took = []
    live.begin()
    for n in range(1, 91):
        stroke = PaintStroke(
            points=points[:n], tip=Tip(presses="nothing"), values={"opacity": 0.9, "colour": (0.8, 0.2, 0.1)}
        )
        start = time.perf_counter()
        live.grow(stroke)
        took.append((time.perf_counter() - start) * 1e3)
    start = time.perf_counter()
    _surface(evaluator, layer_edits.add_stroke(doc, key, "p", stroke))
    line(
        "a dab composed, 2048 px",
        median(took),
        "the whole stack after the stroke",
        (time.perf_counter() - start) * 1e3,
        "16 ms",
    )

    _sliders()

    doc, _ = _doc(4096, tuple(instance(build_named(n)) for n in ("Salted pane", "Scratched pane", "Smeared pane")))
    before = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss / 1024
    start = time.perf_counter()
    _surface(Evaluator(limit=1 << 30), doc)
    bake = (time.perf_counter() - start) * 1e3
    peak = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss / 1024
    line("the dirty pane, 4096 px", bake, "the same at 1024 px, sixteen times", 16 * _small(), "12000 ms")
    print(f"  its peak memory: {peak:.0f} MB (before: {before:.0f}; aim: 3000)", flush=True)

    import trimesh

    ball = trimesh.creation.icosphere(6)
    uv = np.stack(
        [
            np.arctan2(ball.vertices[:, 0], ball.vertices[:, 2]) / 2 / np.pi + 0.5,
            np.arccos(np.clip(ball.vertices[:, 1], -1, 1)) / np.pi,
        ],
        axis=1,
    )
    mesh = Mesh(np.array(ball.vertices), np.array(ball.vertex_normals), uv, np.array(ball.faces, np.int64))
    start = time.perf_counter()
    geometry_mask(mesh, Probe("occlusion", rays=8), (256, 256))
    first = (time.perf_counter() - start) * 1e3
    start = time.perf_counter()
    geometry_mask(mesh, Probe("occlusion", rays=32), (1024, 1024))
    line(
        f"occlusion of {len(mesh.index)} faces, 1024 px, 32 rays",
        (time.perf_counter() - start) * 1e3,
        "a first look, 256 px, 8 rays",
        first,
        "45000 ms; the first look 2000 ms",
    )
    canvas = SurfaceCover(mesh, (4096, 4096), 0, np.eye(2, 3), lambda path: np.ones((2, 2), np.float32))
    places = [(np.sin(a), 0.3 * np.sin(2 * a), np.cos(a)) for a in np.linspace(0, 1.5, 60)]
    took = []
    for n in range(1, 61):
        surface = tuple((*p, *p, 1.0) for p in places[:n])
        start = time.perf_counter()
        canvas.lay(PaintStroke(surface=surface, across=0.1, tip=Tip(presses="nothing"), values={"opacity": 1.0}))
        took.append((time.perf_counter() - start) * 1e3)
    flat = Cover(
        stroke := PaintStroke(points=points, tip=Tip(presses="nothing", size=0.016)), (4096, 4096), lambda path: plain
    )
    start = time.perf_counter()
    dabs = dabs_of(stroke, 4096, 4096)
    flat.lay(dabs, (0, 4096, 0, 4096))
    line(
        f"what a move of the pointer adds to a stroke on {len(mesh.index)} faces, 4096 px",
        median(took),
        "the same on a flat canvas",
        (time.perf_counter() - start) * 1e3 / 90,
        "16 ms",
    )


def _sliders() -> None:
    """A slider of the lowest, the middle and the topmost of twelve layers, moved again and again, to the result."""
    rows = (*_ten(), *(r.model_copy(update={"id": f"{r.id} again"}) for r in _ten()[:2]))
    for side in (1024, 2048, 4096):
        doc, key = _doc(side, rows)
        evaluator = Evaluator()
        start = time.perf_counter()
        _surface(evaluator, doc)
        whole = (time.perf_counter() - start) * 1e3
        for n in (1, 6, 12):
            took = []
            for k in range(4):
                changed = layer_edits.set_row(doc, key, rows[n - 1].id, strength=0.3 + 0.1 * k)
                start = time.perf_counter()
                _surface(evaluator, changed)
                took.append((time.perf_counter() - start) * 1e3)
            what = f"layer {n} of 12 moved, {side} px"
            line(what, median(took[1:]), "all twelve from nothing", whole, "1500 ms" if side == 4096 else "400 ms")
            if side >= 2048:
                _on_screen(evaluator, doc, key, n, rows[n - 1].id, side)


def _on_screen(evaluator: Evaluator, doc: Document, key: str, n: int, row: str, side: int) -> None:
    """The same, to what is on a screen of 1280 × 800: looked at closely, and all of it."""
    close = ShownPart(key, 1.0, (side // 4, side // 4 + 800, side // 5, side // 5 + 1280))
    whole = ShownPart(key, 800 / side, (0, side, 0, side))
    for first, words, shown in ((0.35, "close up", close), (0.37, "all of it", whole)):
        took = []
        for k in range(5):
            changed = layer_edits.set_row(doc, key, row, strength=first + 0.1 * k)
            start = time.perf_counter()
            found = in_view(evaluator, changed.overlays[0], changed, shown)
            assert found is not None
            took.append((time.perf_counter() - start) * 1e3)
        start = time.perf_counter()
        evaluator.texture(changed.overlays[0], changed)
        full = (time.perf_counter() - start) * 1e3
        line(f"layer {n} of 12 moved, {side} px, on the screen {words}", median(took[1:]), "the whole", full, "150 ms")


def _small() -> float:
    doc, _ = _doc(1024, tuple(instance(build_named(n)) for n in ("Salted pane", "Scratched pane", "Smeared pane")))
    start = time.perf_counter()
    _surface(Evaluator(), doc)
    return (time.perf_counter() - start) * 1e3

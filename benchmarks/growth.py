"""How time grows with what is there: exact order by sprites, the adviser by overlays, a lit redraw by pixels, playing."""

import time
from collections.abc import Callable

import numpy as np

from benchmarks.timing import line, medians
from mivex.core.advice.inspection import Stage
from mivex.core.advice.order import propose
from mivex.core.material.material import Material
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import read_project
from mivex.core.scene.draw_calls import load_scene_inputs
from mivex.core.scene.stage_painter import StagePainter
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.draw import DrawCall, ShadingInputs
from mivex.core.stage.exact import draw_exact
from mivex.core.stage.mesh import quad
from mivex.core.stage.passes import draw_all
from mivex.core.stage.placements_model import Around, PanelPlace
from mivex.demo import PROJECT


def _cpu(job: Callable[[], object]) -> float:
    """Milliseconds of processor time."""
    begun = time.process_time()
    job()
    return (time.process_time() - begun) * 1e3


def _sprites(count: int) -> list[DrawCall]:
    rng = np.random.default_rng(count)
    yy, xx = np.mgrid[:64, :64] / 32 - 1
    alpha = np.clip(1 - np.hypot(xx, yy), 0, 1)
    texture = Texture(np.dstack([np.full((64, 64, 3), 0.7), alpha]).astype(np.float32))
    coat, rows = ShadingInputs(texture.mips), []
    for k in range(count):
        x, y, z = rng.uniform(-1.5, 1.5), rng.uniform(-1, 1), rng.uniform(-2, 1)
        corners = np.array([(x - 0.3, y + 0.3, z), (x + 0.3, y + 0.3, z), (x + 0.3, y - 0.3, z), (x - 0.3, y - 0.3, z)])
        rows.append(DrawCall(f"s{k}", quad(corners), coat, Material(lit=False), (4, 0, z), owner=f"s{k}", part="1"))
    return sorted(rows, key=lambda d: d.order)


def _panels(count: int) -> Stage:
    rng, rows, textures = np.random.default_rng(count), [], {}
    for k in range(count):
        colour = (*rng.uniform(0.2, 0.9, 3), 0.5)
        textures[f"o{k}"] = Texture(np.tile(np.float32(colour), (2, 2, 1)))
        at = tuple(float(v) for v in rng.uniform(-2, 2, 3))
        place = PanelPlace(at=at, yaw=float(rng.uniform(-40, 40)), width=0.8, height=0.8)
        material = Material(lit=False, nudge=int(rng.integers(-2, 3)))
        rows.append(Overlay(id=f"o{k}", name=f"o{k}", source=Source(canvas=(2, 2)), places=(place,), material=material))
    cameras = tuple(Camera(name=f"c{k}", target=(0, 0, 0), yaw=36 * k, pitch=5, distance=6) for k in range(10))
    return Stage(Document(overlays=tuple(rows), cameras=cameras, around=Around(path="none.obj")), textures, {})


def main() -> None:
    """Measure."""
    view = View(Camera(name="v", target=(0, 0, 0), yaw=0, pitch=0, distance=4), 1280, 800)
    for count in (10, 100, 400, 1000):
        rows = _sprites(count)
        drawn, exact = medians(3, lambda r=rows: draw_all(r, view), lambda r=rows: draw_exact(r, view))  # type: ignore[misc]
        line(f"{count} overlapping sprites in exact order", exact, "in the order set", drawn, "1.5")
    first = 0.0
    for count in (10, 60, 200):
        stage = _panels(count)
        took = _cpu(lambda s=stage: propose(s, s.doc.cameras))  # type: ignore[misc]
        first = first or took
        line(
            f"the adviser, {count} overlays from 10 cameras, processor time", took, "10 overlays", first, "20000 ms for 200"
        )
    doc = read_project(PROJECT)
    textures, meshes = load_scene_inputs(doc, Evaluator(PROJECT.parent))
    quarter, whole = View(doc.cameras[0], 640, 400), View(doc.cameras[0], 1280, 800)

    def drawn_at(v: View) -> Callable[[], object]:
        return lambda: StagePainter().paint(doc, textures, v, meshes=meshes)

    small, large = medians(3, drawn_at(quarter), drawn_at(whole))
    line("the demo drawn whole, fully lit, four times the pixels", large, "a quarter of them", small, "4")

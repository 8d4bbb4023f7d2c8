"""(h) The stage that proves, on the demo at 1280×800: exact order, ledger, looks, adviser, findings of the scene."""

import time
from statistics import median

import numpy as np

from benchmarks.timing import line, medians
from mivex.core.advice.inspection import Stage
from mivex.core.advice.order import propose, ring
from mivex.core.evaluation.results import scene_subject
from mivex.core.findings import examine_scene
from mivex.core.scene.stage_painter import StagePainter
from mivex.core.stage.camera import View
from mivex.core.stage.exact import draw_exact
from mivex.core.stage.ledger import FragmentQuery
from mivex.core.stage.looks import look_at
from mivex.core.stage.passes import draw_all
from mivex.demo import PROJECT


def main() -> None:
    """Measure."""
    stage = Stage.read(str(PROJECT))
    doc, light = stage.doc, stage.doc.lighting
    for camera in doc.cameras[:2]:
        view = View(camera, 1280, 800)
        draws = stage.draws(view)
        painter = StagePainter()
        painter.paint(doc, stage.textures, view, meshes=stage.meshes)
        usual, exact, over = medians(
            5,
            lambda d=draws, v=view: draw_all(d, v, light),  # type: ignore[misc]
            lambda d=draws, v=view: draw_exact(d, v, light),  # type: ignore[misc]
            lambda d=draws, v=view: look_at("overdraw", d, v, light),
        )  # type: ignore[misc]
        line(f"camera {camera.name}, exact order", exact, "drawn whole in the order set", usual, "5")
        line(f"camera {camera.name}, overdraw", over, "drawn whole in the order set", usual, "–")
        start = time.perf_counter()
        book = FragmentQuery(draws, view, light)
        made = (time.perf_counter() - start) * 1e3
        rng, took = np.random.default_rng(1), []
        for x, y in zip(rng.integers(0, 1280, 60), rng.integers(0, 800, 60), strict=True):
            start = time.perf_counter()
            book.account(int(x), int(y))
            took.append((time.perf_counter() - start) * 1e3)
        line(f"camera {camera.name}, a pixel's account", median(took), "what all pixels share, once a view", made, "20 ms")
    start = time.perf_counter()
    propose(stage, ring(doc, 8))
    took_all = (time.perf_counter() - start) * 1e3
    start = time.perf_counter()
    propose(stage, ring(doc, 1))
    line("the adviser, 8 cameras", took_all, "1 camera", (time.perf_counter() - start) * 1e3, "10000 ms")
    start = time.perf_counter()
    examine_scene(scene_subject(doc, stage.textures, stage.meshes))
    line("findings of the scene, 4 cameras", (time.perf_counter() - start) * 1e3, "the adviser, 8 cameras", took_all, "–")

"""(i) Motion: a step of 5,000 particles, scrubbing, the demo's effects while they play, at 1280×800."""

import time
from statistics import median

import numpy as np

from benchmarks.sprites import opengl, ours
from benchmarks.timing import line, medians
from mivex.core.advice.inspection import Stage
from mivex.core.motion.curves import Curve
from mivex.core.motion.model import Birth, Effect, Emission, Emitter, Life
from mivex.core.motion.simulate import EmitterSimulation
from mivex.core.scene.stage_painter import StagePainter
from mivex.core.stage.buffers import Buffers
from mivex.core.stage.camera import View
from mivex.core.stage.lights import Lighting
from mivex.core.stage.passes import RenderPlan, run
from mivex.demo import PROJECT

COUNT = 400


def everything() -> tuple[Effect, Emitter]:
    """5,000 particles with every module on."""
    c = Curve(points=((0.0, 0.0), (0.3, 1.0), (1.0, 0.0)))
    part = Emitter(
        id="all",
        emission=Emission(rate=2500, most=5000, form="sphere", way="round"),
        birth=Birth(life=(2, 2), speed=(0.1, 1), spin=(0, 90), width=(0.1, 0.2), tint=((1, 1, 1), (1, 0, 0))),
        life=Life(
            size=c,
            opacity=c,
            spin=c,
            speed_x=c,
            push=c,
            erosion=c,
            acceleration=(1, 0, 0),
            gravity=0.1,
            drag=0.4,
            limit=3,
            swirl=30,
            drift=0.3,
            wind=0.5,
        ),
    )
    return Effect(name="all", parts=(part,)), part


def main() -> None:
    """Measure."""
    effect, part = everything()
    flow = EmitterSimulation(effect, part, (1.0, 0.0, 0.0))
    flow.at(3.0)
    took = []
    for k in range(181, 301):
        begun = time.perf_counter()
        flow.at(k / 60)
        took.append((time.perf_counter() - begun) * 1e3)
    begun = time.perf_counter()
    EmitterSimulation(effect, part, (1.0, 0.0, 0.0)).at(33.3)
    whole = (time.perf_counter() - begun) * 1e3
    line("a step of 5,000 particles", median(took), "scrubbed to from nothing", whole, "4 ms")
    stage = Stage.read(str(PROJECT))
    doc = stage.doc
    few = np.concatenate([[0.0], np.random.default_rng(1).uniform(0, 30, 12)])
    from mivex.core.scene.draw_calls import build_environment
    from mivex.core.scene.playback import EmitterSimulations

    world, scrubs = build_environment(doc, stage.meshes), []
    EmitterSimulations().draws(doc, stage.textures, View(doc.cameras[0], 1280, 800, 1.0), world)
    for t in few:
        flows = EmitterSimulations()
        begun = time.perf_counter()
        flows.draws(doc, stage.textures, View(doc.cameras[0], 1280, 800, float(t)), world)
        scrubs.append((time.perf_counter() - begun) * 1e3)
    line("the demo's effects, scrubbed to", max(scrubs), "in the median", median(scrubs), "100 ms")
    # As many sprites as the sprites' benchmark draws.
    scale = COUNT / max(
        sum(
            len(d.mesh.index) // 2
            for d in EmitterSimulations().draws(doc, stage.textures, View(doc.cameras[0], 1280, 800, 2.0), world)
        ),
        1,
    )
    more = doc.model_copy(
        update={
            "effects": tuple(
                e.model_copy(update={"dials": e.dials.model_copy(update={"rate": e.dials.rate * scale})})
                for e in doc.effects
            )
        }
    )
    draws, view = ours()
    buffers = Buffers(np.zeros((800, 1280, 4), np.float32), np.zeros((800, 1280), np.float32))
    gl = opengl()
    got = medians(5, lambda: run(RenderPlan(draws, view), buffers, Lighting(), None), *([gl] if gl else []))
    for camera in doc.cameras[:2]:
        painter = StagePainter()
        painter.paint(more, stage.textures, View(camera, 1280, 800, 1.0), meshes=stage.meshes)
        for playing, words in ((False, "sharp"), (True, "as it plays")):
            took = []
            for k in range(24):
                seen = View(camera, 1280, 800, 1.0 + k / 24)
                begun = time.perf_counter()
                painter.paint(more, stage.textures, seen, meshes=stage.meshes, playing=playing)
                took.append((time.perf_counter() - begun) * 1e3)
            line(
                f"camera {camera.name}, 400 sprites of the demo's effects, {words}",
                median(took[6:]),
                "400 plain sprites, software OpenGL" if gl else "400 plain sprites",
                got[-1],
                "41 ms",
            )


if __name__ == "__main__":
    main()

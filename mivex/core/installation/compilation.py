"""Compile every kernel once and draw the dock, so that no later start waits for it.

Run as ``python -m mivex.core.installation.compilation``; ``make`` does so when it sets up, and the first window where
nobody did. Two processes share the work; what the first window needs is done first. A change in a file without kernels
compiles nothing anew.
"""

import selectors
import subprocess
import sys
import time
from collections.abc import Callable
from pathlib import Path

import numpy as np

from mivex.core.base import compiled
from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.messages import Message
from mivex.core.base.types import Floats

CORE = compiled.CORE
MODULE = "mivex.core.installation.compilation"


def _stamp() -> Path:
    """Where it is noted what was compiled: beside the kernels, or where else they are kept."""
    return (compiled.folder() or CORE / "__pycache__") / "kernels.stamp"


def needed() -> bool:
    """Whether the kernels have to be compiled."""
    try:
        return _stamp().read_text() != compiled.sources_mark()
    except OSError:
        return True


def clear_stale() -> bool:
    """Drop compiled kernels if one of them changed; Numba does not notice a change in a function it calls.

    Returns
    -------
    bool
        The kernels have to be compiled.
    """
    if not needed():
        return False
    stamp = _stamp()
    if stamp.is_relative_to(CORE):
        for path in CORE.rglob("__pycache__/*.nb[ic]"):
            path.unlink(missing_ok=True)
    stamp.unlink(missing_ok=True)
    return True


def mark_ready() -> None:
    """Note that everything is compiled for the sources as they are."""
    stamp = _stamp()
    stamp.parent.mkdir(parents=True, exist_ok=True)
    stamp.write_text(compiled.sources_mark())


def _stage(values: Floats) -> None:
    from mivex.core.material.material import Material
    from mivex.core.picture.texture import Texture
    from mivex.core.project.document import Document, Overlay
    from mivex.core.scene.draw_calls import render
    from mivex.core.scene.stage_painter import StagePainter
    from mivex.core.stage.camera import CAMERAS, View
    from mivex.core.stage.placements_model import BillboardPlace

    view = View(CAMERAS[0], 96, 64)
    o = Overlay(id="a", name="a", material=Material(), places=(BillboardPlace(at=(0.0, 1.2, 1.0)),))
    doc, textures = Document(overlays=(o,)), {"a": Texture(values)}
    StagePainter().paint(doc, textures, view)
    render(doc, textures, view)


def _order(values: Floats) -> None:
    from mivex.core.advice.inspection import Stage
    from mivex.core.advice.order import propose
    from mivex.core.material.effects import Erosion
    from mivex.core.material.material import Material
    from mivex.core.picture.texture import Texture
    from mivex.core.project.document import Document, Overlay
    from mivex.core.scene.draw_calls import draw_list, render
    from mivex.core.scene.picking import pick
    from mivex.core.stage.camera import CAMERAS, View
    from mivex.core.stage.looks import LOOKS, look_at
    from mivex.core.stage.mesh import crossing
    from mivex.core.stage.placements_model import PanelPlace

    view = View(CAMERAS[0], 96, 64)
    rows = tuple(
        Overlay(
            id=k,
            name=k,
            material=Material(blend=blend, erosion=Erosion(form="soft", amount=0.2)),
            places=(PanelPlace(id=k, at=(0.0, 1.2, z), width=1.0, height=1.0),),
        )
        for k, z, blend in (("a", 1.0, "Translucent"), ("b", 1.3, "Dithered"), ("c", 1.6, "Premultiplied"))
    )
    doc, textures = Document(overlays=rows), {o.id: Texture(values) for o in rows}
    render(doc, textures, view, exact=True)
    draws = draw_list(doc, textures, view)
    pick(doc, draws, view, 48.0, 32.0)
    crossing(draws[0].mesh, view.eye, view.ray(48.0, 32.0))
    for look in LOOKS:
        look_at(look, draws, view, doc.lighting)
    propose(Stage(doc, textures, {}), doc.cameras[:1], size=(32, 20))


def _proofs(values: Floats) -> None:
    from mivex.core.picture.texture import Texture
    from mivex.core.pixels.colour import to_display
    from mivex.core.proof.flat import FlatView
    from mivex.core.proof.histogram import histogram
    from mivex.core.proof.layouts import draw_flat

    draw_flat(Texture(values), FlatView(), 16, 16)
    histogram(Texture(values))
    to_display(Texture(values, bits=16).linear)


def _figures(values: Floats) -> None:
    from mivex.core.picture.fringes import fringe_figures
    from mivex.core.picture.texture import Texture
    from mivex.core.pixels.blocks import compressed
    from mivex.core.pixels.sampling import sample

    fringe_figures(Texture(values))
    fringe_figures(Texture(values[:7]))
    compressed(values)
    sample(Texture(values).mips, values[..., 0], values[..., 1], values[..., 0], wrap=True)


def _steps(values: Floats) -> None:
    from mivex.core.picture.files import read_picture
    from mivex.core.prepare import STEPS
    from mivex.core.prepare.base import Context, Surface
    from mivex.core.prepare.falloff import Stroke, brushed
    from mivex.core.proof.samples import step_pictures

    for name in STEPS:
        step_pictures(name, 16)
    brushed((Stroke(points=((0.2, 0.2), (0.8, 0.5))),), 8, 8)
    for params in ({}, {"method": "smooth"}):
        STEPS["spread"].run(
            Surface(values), STEPS["spread"].params.model_validate({"step": "spread", **params}), Context(read_picture)
        )


def _layers(values: Floats) -> None:
    from mivex.core.layers.builds import all_builds, instance
    from mivex.core.layers.model import ChannelSource, Layer, Shaping, Stack, UvTransform, base_for
    from mivex.core.layers.patterns import PATTERNS
    from mivex.core.layers.shaping import shaped
    from mivex.core.layers.strokes import PaintStroke, Tip
    from mivex.core.project.document import Document, Overlay, Source
    from mivex.core.project.evaluate import Evaluator
    from mivex.core.project.looking import live_paint
    from mivex.core.stage.baking import Probe, geometry_mask
    from mivex.core.stage.mesh import quad
    from mivex.core.stage.space_patterns import pattern_in_space
    from mivex.core.stage.surface_strokes import SurfaceCover

    for p in PATTERNS.values():
        p.draw(p.params(), 16, 16)
    strokes = tuple(
        PaintStroke(points=((0.2, 0.2, 1.0), (0.7, 0.6, 1.0)), tip=Tip(form=form), values={"opacity": 1.0})
        for form in ("hard", "bristle", "pattern")
    )
    row = Layer(id="p", cells={"opacity": ChannelSource(source="painted"), "colour": ChannelSource()}, strokes=strokes)
    rows = (*(instance(b) for b in all_builds()[0].values()), row)
    stack = Stack(base=base_for("glass"), rows=rows)
    o = Overlay(name="o", source=Source(canvas=(24, 24), meaning="colour"), layers=stack)
    evaluator = Evaluator()
    evaluator.texture(o)
    live = live_paint(evaluator, o, Document(overlays=(o,)), "p")
    live.begin()
    live.grow(strokes[0])
    shaped(np.ones((8, 8), np.float32), Shaping(grow=0.1, distance=0.2), None, (8, 8))
    square = quad(np.array([[0, 1, 0], [1, 1, 0], [1, 0, 0], [0, 0, 0.0]]))
    geometry_mask(square, Probe("facing"), (8, 8))
    places = tuple((x, y, 0.0, 0.0, 0.0, 1.0, 1.0) for x, y in ((0.3, 0.3), (0.7, 0.3), (0.5, 0.7)))
    on = SurfaceCover(square, (8, 8), 0, np.eye(2, 3), lambda _path: np.ones((2, 2), np.float32))
    on.lay(PaintStroke(surface=places, across=0.3, values={"opacity": 1.0}))
    pattern_in_space(square, PATTERNS["ramp"].params(), UvTransform(by="space"), (8, 8), 0, np.eye(2, 3), lambda _k, m: m())
    on.lay(PaintStroke(surface=places, across=0.3, area=True, values={"opacity": 1.0}))


def _motion(values: Floats) -> None:
    from mivex.core.motion.curves import Curve
    from mivex.core.motion.model import Effect, Emission, Emitter, Life
    from mivex.core.picture.texture import Texture
    from mivex.core.project.document import Document, Overlay
    from mivex.core.scene.playback import EmitterSimulations
    from mivex.core.sheet.bleed import measure
    from mivex.core.stage.camera import CAMERAS, View
    from mivex.core.stage.dock import dock
    from mivex.core.stage.surroundings import World

    fall = Curve(points=((0.0, 1.0), (1.0, 0.0)))
    life = Life(spin=fall, push=fall, gravity=1.0, drift=0.1, swirl=10.0, solids="bounce")
    effect = Effect(name="e", parts=(Emitter(overlay="a", emission=Emission(rate=40.0), life=life),))
    doc = Document(overlays=(Overlay(id="a", name="a"),), effects=(effect,))
    EmitterSimulations().draws(doc, {"a": Texture(values)}, View(CAMERAS[0], 96, 64, 1.0), World(dock()))
    measure(Texture(values, cells=((0.0, 0.0, 0.5, 1.0), (0.5, 0.0, 1.0, 1.0))))


JOBS: dict[str, Callable[[Floats], None]] = {
    "the stage": _stage,
    "order": _order,
    "motion": _motion,
    "proofs": _proofs,
    "figures": _figures,
    "layers": _layers,
    "every step": _steps,
}
"""Each runs some of the kernels once, on a small picture of straight RGBA."""
SHARES = (("the stage", "order", "layers"), ("proofs", "figures", "every step", "motion"))
"""Which process does what, in order."""


def run_share(index: int) -> None:
    """Run one share's kernels once on something small, saying what is done; in a process of its own."""
    y, x = np.mgrid[:8, :8].astype(np.float32) / 7
    values = np.stack([x, y, x * y, np.clip(x + y - 0.5, 0, 1)], axis=-1).astype(np.float32)
    for name in SHARES[index]:
        JOBS[name](values)
        print(name, flush=True)


def warm(
    tell: Callable[[float, str], None] = lambda _share, _words: None, stop: Callable[[], bool] = lambda: False
) -> None:
    """Compile everything, in as many processes as there are shares.

    Parameters
    ----------
    tell : callable
        Told the share that is done, and what was done last.
    stop : callable
        Asked now and then; true raises Stopped.

    Raises
    ------
    MivexError
        A kernel could not be compiled.
    """
    total, done = sum(map(len, SHARES)), 0
    running = [
        subprocess.Popen([sys.executable, "-m", MODULE, str(i)], stdout=subprocess.PIPE, text=True)
        for i in range(len(SHARES))
    ]
    try:
        with selectors.DefaultSelector() as waiting:
            for p in running:
                assert p.stdout is not None
                waiting.register(p.stdout, selectors.EVENT_READ)
            while waiting.get_map():
                if stop():
                    raise Stopped
                for key, _ in waiting.select(0.2):
                    line = key.fileobj.readline()  # type: ignore[union-attr]
                    if not line:
                        waiting.unregister(key.fileobj)
                    elif (name := str(line).strip()) in sum(SHARES, ()):
                        done += 1
                        tell(done / total, name)
        if any([p.wait() for p in running]):
            raise MivexError("A kernel could not be compiled; what it is needed for will say so.")
    finally:
        for p in running:
            p.kill()
            p.wait()
    mark_ready()


def main() -> None:
    """Compile what is not compiled, and say so."""
    if not clear_stale():
        return
    begun = time.perf_counter()
    end = "\r" if sys.stdout.isatty() else "\n"
    print("Compiling kernels …", end=end, flush=True)
    warm(
        lambda share, name: (
            print(Message("Compiling kernels … {share:.0%}{value:<20}", share=share, value=""), end=end, flush=True)
            if sys.stdout.isatty()
            else None
        )
    )
    print(
        Message("Kernels are ready ({perf_counter:.0f} s).{value:<30}", perf_counter=time.perf_counter() - begun, value=""),
        flush=True,
    )


if __name__ == "__main__":
    if len(sys.argv) > 1:
        run_share(int(sys.argv[1]))
    else:
        main()

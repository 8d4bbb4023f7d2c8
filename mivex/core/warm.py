"""Compile every kernel once and draw the dock, so that no later start waits for it.

Run as ``python -m mivex.core.warm``; ``make`` does so when it sets up.
"""

import hashlib
import sys
import time
from collections.abc import Callable
from pathlib import Path

import numpy as np

CORE = Path(__file__).parent


def sources_mark() -> str:
    """Hash of the core's sources: compiled kernels are good only for these."""
    h = hashlib.blake2b(digest_size=12)
    for path in sorted(CORE.rglob("*.py")):
        h.update(path.read_bytes())
    return h.hexdigest()


def clear_stale() -> bool:
    """Drop compiled kernels if any source changed; Numba does not notice a change in a function it calls.

    Returns
    -------
    bool
        The kernels have to be compiled.
    """
    stamp = CORE / "__pycache__" / "kernels.stamp"
    mark = sources_mark()
    if stamp.is_file() and stamp.read_text() == mark:
        return False
    for path in CORE.rglob("__pycache__/*.nb[ic]"):
        path.unlink(missing_ok=True)
    stamp.parent.mkdir(exist_ok=True)
    stamp.write_text(mark)
    return True


def _tell(text: str) -> None:
    print(text, end="\r" if sys.stdout.isatty() else "\n", flush=True)


def warm() -> None:
    """Run every kernel once on something small."""
    from mivex.core.image.colour import to_display
    from mivex.core.image.files import read_picture
    from mivex.core.image.fringes import fringe_figures
    from mivex.core.image.sampling import sample
    from mivex.core.image.texture import Texture
    from mivex.core.material.material import Material
    from mivex.core.prepare import STEPS
    from mivex.core.prepare.base import Context, Surface
    from mivex.core.prepare.falloff import Stroke, brushed
    from mivex.core.project.document import CAMERAS, BillboardPlace, Document, Overlay
    from mivex.core.proof.flat import FlatView, draw_flat
    from mivex.core.proof.histogram import histogram
    from mivex.core.proof.samples import step_pictures
    from mivex.core.stage.camera import View
    from mivex.core.stage.dock import dock
    from mivex.core.stage.scene import draw_items, draw_list

    y, x = np.mgrid[:8, :8].astype(np.float32) / 7
    values = np.stack([x, y, x * y, np.clip(x + y - 0.5, 0, 1)], axis=-1).astype(np.float32)

    def colours() -> None:
        to_display(Texture(values, bits=16).linear)

    def sampling() -> None:
        sample(Texture(values).mips, x, y, x, wrap=True)

    def filling() -> None:
        STEPS["spread"].run(Surface(values), STEPS["spread"].params(step="spread"), Context(read_picture))

    def figures() -> None:
        fringe_figures(Texture(values))
        fringe_figures(Texture(values[:7]))

    def proofs() -> None:
        draw_flat(Texture(values), FlatView(), 16, 16)
        histogram(Texture(values))

    def stage() -> None:
        view = View(CAMERAS[0], 96, 64)
        o = Overlay(id="a", name="a", material=Material(), places=(BillboardPlace(at=(0.0, 1.2, 1.0)),))
        draw_items(draw_list(Document(overlays=(o,)), {"a": Texture(values)}, view), view)

    def steps() -> None:
        for name in STEPS:
            step_pictures(name, 16)
        brushed((Stroke(points=((0.2, 0.2), (0.8, 0.5))),), 8, 8)
        blank = Surface(values)
        STEPS["spread"].run(blank, STEPS["spread"].params.model_validate({"step": "spread", "method": "smooth"}),
                            Context(read_picture))

    jobs: list[tuple[str, Callable[[], object]]] = [
        ("colour transfer", colours), ("sampling", sampling), ("filling", filling), ("fringe figures", figures),
        ("proofs", proofs), ("every step", steps),
        ("the dock's surfaces", dock), ("the stage", stage)]
    begun = time.perf_counter()
    for number, (name, job) in enumerate(jobs, 1):
        _tell(f"Compiling kernels {number}/{len(jobs)}: {name:<24}")
        job()
    print(f"Kernels are ready ({time.perf_counter() - begun:.0f} s).{'':<30}", flush=True)


if __name__ == "__main__":
    if clear_stale():
        warm()

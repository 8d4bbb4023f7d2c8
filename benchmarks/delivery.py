"""(i) Delivering: the whole demo from cold, a large layered overlay, opening many overlays, checking on two cores."""

import os
import subprocess
import sys
import tempfile
import time
from pathlib import Path

import numpy as np
from PIL import Image

from benchmarks.check import draw
from benchmarks.timing import line
from mivex.core.deliver.project import deliver_project
from mivex.core.layers.builds import build_named, instance
from mivex.core.layers.model import Stack, base_for
from mivex.core.picture.encode import write_picture
from mivex.core.project import edits
from mivex.core.project.delivery import COLOUR_ALPHA, DeliveryRecipe, FilePlan
from mivex.core.project.document import Document
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import write_project
from mivex.demo import PROJECT

_OPEN = """
import sys, time
from mivex.ui.shell.app import application, settle
from mivex.ui.shell.window import Window
app = application()
w = Window()
w.show()
app.processEvents()
settle(w)
before = w.stage.canvas.image
start = time.perf_counter()
w.open(sys.argv[1])
end = start + 60
while time.perf_counter() < end:
    app.processEvents()
    o = w.session.overlay
    r = w.engine.results.get(o.id) if o is not None else None
    if r is not None and r.texture is not None and w.stage.canvas.image is not before:
        break
print(1e3 * (time.perf_counter() - start), flush=True)
settle(w, 60)
print(1e3 * (time.perf_counter() - start), flush=True)
"""


def _run(*args: str) -> float:
    start = time.perf_counter()
    subprocess.run([sys.executable, "-m", "mivex", *args], stdout=subprocess.DEVNULL, check=False)
    return (time.perf_counter() - start) * 1e3


def _demo(folder: Path) -> None:
    _run("schema")
    out = folder / "demo"
    took = _run("deliver", str(PROJECT), str(out))
    pictures = sorted(p for p in out.iterdir() if p.suffix in (".png", ".tga", ".tif"))
    start = time.perf_counter()
    for p in pictures:
        Image.open(p).save(folder / "again.png")
    line(
        "the demo delivered, every file, from cold",
        took,
        f"its {len(pictures)} pictures read and written by Pillow",
        (time.perf_counter() - start) * 1e3,
        "–",
    )
    line("the same again, nothing changed", _run("deliver", str(PROJECT), str(out)), "the first time", took, "–")


def _large(folder: Path) -> None:
    doc, key = edits.add_blank(Document(), "Pane", "glass", (4096, 4096))
    rows = tuple(instance(build_named(n)) for n in ("Salted pane", "Scratched pane", "Smeared pane"))
    doc = edits.map_overlay(doc, key, lambda o: o.model_copy(update={"layers": Stack(base=base_for("glass"), rows=rows)}))
    recipe = DeliveryRecipe(
        name="Two",
        files=(
            FilePlan(pattern="{name}_t", format="tga", bits=8, channels=COLOUR_ALPHA, always=True),
            FilePlan(pattern="{name}_p", format="png", bits=8, channels=COLOUR_ALPHA, always=True),
        ),
    )
    evaluator = Evaluator(limit=1 << 30)
    texture = evaluator.texture(doc.overlays[0], doc)
    start = time.perf_counter()
    deliver_project(doc, evaluator, folder / "large", recipe=recipe)
    took = (time.perf_counter() - start) * 1e3
    codes = np.rint(texture.values * 255).astype(np.uint8)
    start = time.perf_counter()
    for name in ("large.tga", "large.png"):
        Image.fromarray(codes).save(folder / name)
        np.array(Image.open(folder / name))
    line(
        "a layered pane, 4096 px, written as TGA and PNG and read back",
        took,
        "the same two by Pillow",
        (time.perf_counter() - start) * 1e3,
        "–",
    )


def _open(folder: Path) -> None:
    doc = Document()
    for k in range(60):
        path = folder / f"many{k}.png"
        write_picture(path, draw(k, 256), 8)
        doc, _ = edits.add_overlay(doc, f"Many {k}", "sprite", str(path))
    write_project(folder / "many.mivex", doc)
    env = {"QT_QPA_PLATFORM": "offscreen", **os.environ}
    done = subprocess.run(
        [sys.executable, "-c", _OPEN, str(folder / "many.mivex")], env=env, capture_output=True, text=True, check=True
    )
    first, all_of = (float(v) for v in done.stdout.split()[-2:])
    start = time.perf_counter()
    for k in range(60):
        np.array(Image.open(folder / f"many{k}.png"))
    line(
        "a project of 60 overlays opened, chosen one and stage drawn",
        first,
        "Pillow reading the 60 pictures",
        (time.perf_counter() - start) * 1e3,
        "2000 ms",
    )
    print(f"  every overlay and finding known after {all_of / 1e3:.1f} s")


def _cores(folder: Path) -> None:
    paths = []
    for i in range(500):
        path = folder / f"c{i:03}.png"
        write_picture(path, draw(i, (64, 128, 256)[i % 3]), 8)
        paths.append(str(path))
    args = [sys.executable, "-m", "mivex", "check", *paths]

    def took(cores: set[int]) -> float:
        start = time.perf_counter()
        subprocess.run(args, stdout=subprocess.DEVNULL, check=False, preexec_fn=lambda: os.sched_setaffinity(0, cores))
        return (time.perf_counter() - start) * 1e3

    cores = sorted(os.sched_getaffinity(0))
    one = took({cores[0]})
    line("500 pictures checked on two cores", took(set(cores[:2])), "on one", one, "0.55")


def main() -> None:
    """Measure."""
    with tempfile.TemporaryDirectory(prefix="mivex-bench-") as name:
        folder = Path(name)
        for job in (_demo, _large, _open, _cores):
            job(folder)


if __name__ == "__main__":
    main()

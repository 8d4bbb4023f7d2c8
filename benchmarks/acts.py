"""(k) What each act costs the window's thread, as CPU time, on 60 overlays of which ten are 4096²: the worst ten.

The baseline is an act that changes nothing on the screen but the title: renaming nothing, and letting the window draw.
"""

import os
import tempfile
import time
from collections.abc import Callable
from functools import partial
from pathlib import Path
from statistics import median

from benchmarks.steps import picture
from benchmarks.timing import line
from mivex.core.picture.encode import write_picture
from mivex.core.project import edits
from mivex.core.project.document import Document

SMALL, LARGE, DROPPED = 50, 10, 30


def _project(folder: Path) -> Document:
    doc = Document()
    rows = [("large", 4096)] * LARGE + [("small", 128)] * SMALL
    kinds = ("decal", "sprite", "glass", "logo")
    for side in (128, 4096):
        write_picture(folder / f"p{side}.png", picture(side), 8)
    for i, (name, side) in enumerate(rows):
        doc, _ = edits.add_overlay(doc, f"{name} {i}", kinds[i % 4], str(folder / f"p{side}.png"))  # type: ignore[arg-type]
    return doc


def main() -> None:
    """Measure."""
    os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")
    from PySide6.QtCore import QTimer

    from mivex.core.layers.model import Layer
    from mivex.core.project import layer_edits
    from mivex.ui.shell.app import application, wait_until_idle
    from mivex.ui.shell.window import Window

    folder = Path(tempfile.mkdtemp(prefix="mivex-bench-"))
    app, w = application(), Window()
    w.ask_unsaved = lambda: "discard"  # type: ignore[method-assign]
    w.resize(1280, 800)
    w.show()
    s = w.session
    doc = _project(folder)
    s.take(doc, None)
    wait_until_idle(w, 900)
    small = [o.id for o in doc.overlays if o.name.startswith("small")]
    for i in range(DROPPED):
        write_picture(folder / f"d{i}.png", picture(64), 8)
    ticked = [0.0, 0.0]

    def tick() -> None:
        now = time.thread_time()
        ticked[:] = now, max(ticked[1], now - ticked[0])

    clock = QTimer(w, interval=4)
    clock.timeout.connect(tick)
    clock.start()

    def act(do: Callable[[], object]) -> tuple[float, float]:
        """CPU of the window's thread until all is settled: the longest between two ticks of a clock, and in all (ms)."""
        quiet, begun = 0, time.monotonic()
        start = ticked[0] = time.thread_time()
        ticked[1] = 0.0
        QTimer.singleShot(0, do)
        app.processEvents()
        while quiet < 4 and time.monotonic() - begun < 300:
            app.processEvents()
            quiet = quiet + 1 if w.idle else 0
            time.sleep(0.005)
        tick()
        return ticked[1] * 1e3, (time.thread_time() - start) * 1e3

    def layer() -> None:
        key = s.overlay_id
        s.apply("layer", lambda d: layer_edits.add_row(d, key, Layer(id=f"r{time.monotonic_ns()}", name="Row")))

    def rename(name: str) -> None:
        s.apply("rename", partial(edits.set_fields, overlay_id=s.overlay_id, part="", name=name))

    def slide(k: list[float]) -> None:
        k[0] = k[0] * 0.97
        key = s.overlay_id
        s.apply("set", partial(edits.set_fields, overlay_id=key, part="material", opacity=round(k[0], 4)), "slide")

    s.choose(small[3])
    w.go("source")
    wait_until_idle(w, 900)
    acts: dict[str, list[Callable[[], object]]] = {
        "choose an overlay": [partial(s.choose, k) for k in small[4:11]],
        "go to Blend": [partial(w.go, k) for k in ("blend", "source", "blend", "source", "blend")],
        "go to Place": [partial(w.go, k) for k in ("place", "source", "place")],
        "go to Layers": [partial(w.go, k) for k in ("layers", "source", "layers")],
        "add a layer": [layer] * 3,
        "go to Motion": [partial(w.go, k) for k in ("motion", "source", "motion", "source")],
        "copy an overlay": [w.rack.copy_chosen] * 3,
        "move it up": [partial(w.rack._move, -1)] * 3,
        "remove it": [w.rack.remove_chosen] * 3,
        "undo": [s.undo] * 3,
        "redo": [s.redo] * 3,
        "rename it": [partial(rename, n) for n in ("a", "b", "c")],
        "hide it": [w.rack.switch_chosen] * 3,
        "opacity moved": [partial(slide, [1.0])] * 4,
        "take another blend": [
            partial(lambda b: s.apply("b", partial(edits.set_fields, overlay_id=s.overlay_id, part="material", blend=b)), b)
            for b in ("Additive", "Cutout", "Translucent")
        ],
        "drop 30 pictures": [lambda: w.add_pictures([str(folder / f"d{i}.png") for i in range(DROPPED)])],
        "undo 30 pictures": [s.undo],
    }
    rows = []
    base = median(act(lambda: w.setWindowTitle(str(time.monotonic())))[0] for _ in range(5))
    for name, todo in acts.items():
        if name in ("go to Blend", "take another blend"):
            s.choose(small[12])
            w.go("source" if name == "go to Blend" else "blend")
            wait_until_idle(w, 900)
        got = [act(do) for do in todo]
        rows.append((max(a for a, _ in got), max(b for _, b in got), name))
    for longest, total, name in sorted(rows, reverse=True)[:10]:
        line(f"{name} ({total:.0f} in all)", longest, "nothing but the title", max(base, 0.1), "100 ms at once")
    w.ask_unsaved = lambda: "discard"  # type: ignore[method-assign]
    w.close()


if __name__ == "__main__":
    main()

"""(f) From moving a slider to the new picture in the flat proof, in the real window, offscreen."""

import os
import tempfile
import time
from functools import partial
from pathlib import Path
from statistics import median

from benchmarks.steps import picture
from benchmarks.timing import line
from mivex.core.picture.encode import write_picture
from mivex.core.project import edits

MOVES = (
    ("levels", "gamma", (0.5, 0.7, 0.9, 1.2, 1.5)),
    ("grow", "by", (3.0, 5.0, 7.0, 9.0, 2.0)),
    ("blur", "radius", (3.0, 5.0, 7.0, 9.0, 2.0)),
)


def main() -> None:
    """Measure."""
    os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")
    from mivex.core.prepare import STEPS
    from mivex.ui.shell.app import application, wait_until_idle
    from mivex.ui.shell.window import Window

    app, window = application(), Window()
    window.resize(1280, 800)
    window.show()
    folder = Path(tempfile.mkdtemp(prefix="mivex-bench-"))

    def until_drawn(change: object) -> float:
        frames, start = window.flat.canvas.frames, time.perf_counter()
        change()  # type: ignore[operator]
        while window.flat.canvas.frames == frames:
            app.processEvents()
            time.sleep(0.0005)
        took = (time.perf_counter() - start) * 1e3
        wait_until_idle(window)
        return took

    for side in (256, 1024, 4096):
        path = folder / f"p{side}.png"
        write_picture(path, picture(side), 8)
        window.session.new()
        window.add_pictures([str(path)])
        wait_until_idle(window)
        key = window.session.overlay_id
        bare = median(until_drawn(window.flat.canvas.redraw) for _ in range(7))
        for name, setting, values in MOVES:
            step = STEPS[name].params.model_validate({"step": name})
            window.session.apply("add", partial(edits.set_steps, overlay_id=key, steps=(step,)))
            wait_until_idle(window)
            took = [
                until_drawn(
                    partial(window.session.apply, "set", partial(edits.set_step, overlay_id=key, index=0, **{setting: v}))
                )
                for v in values
            ]
            line(f"{side} px, {name}", median(took), "drawing the same proof again", bare, "50 ms")
    window.end()

"""The robot in CI: three hundred acts in three windows, and then the picture is the one that the command line draws."""

import pytest
import robot
from test_project import mivex_run

from mivex.core.picture.files import read_picture
from mivex.ui.shell.app import wait_until_idle


@pytest.mark.parametrize("seed", [11, 12, 13])
def test_a_hundred_careless_acts_lose_nothing(window, tmp_path, seed):
    path, pictures = robot.project(tmp_path)
    window.session.open(path)
    wait_until_idle(window)
    with robot.Robot(window, tmp_path, seed, pictures) as r:
        r.run(100, stretch=50)
        assert not r.faults, r.faults[:3]
    # No act stops the window: CPU of its own thread, so that other work on the machine does not count.
    assert not [row for row in r.slow if row[0] > 400], r.slow
    s = window.session
    s.choose(s.doc.overlays[0].id if s.doc.overlays else "")
    if not s.doc.cameras or not s.doc.overlays:
        return
    window.stage.see_as("colour")
    window.desk.play(False)
    window.desk.go_to(0.0)
    window.stage.canvas.look(s.doc.cameras[0])
    wait_until_idle(window)
    out = tmp_path / "seen.png"
    w, h = window.stage.canvas.width(), window.stage.canvas.height()
    done = mivex_run("render", s.path, out, "--size", f"{w}x{h}")
    if done.returncode == 0:
        drawn = (read_picture(out).values[..., :3] * 255).round().astype(int)
        image = window.stage.canvas.image.convertToFormat(window.stage.canvas.image.Format.Format_RGB888)
        import numpy as np

        seen = np.frombuffer(image.constBits(), np.uint8).reshape(h, image.bytesPerLine())[:, : w * 3].reshape(h, w, 3)
        assert np.abs(seen.astype(int) - drawn).max() <= 1

"""The real window, offscreen and once on an X display of its own."""

import os
import shutil
import subprocess
import sys
from pathlib import Path

import drive
import numpy as np
import pytest
from PySide6.QtCore import QMimeData, QPointF, Qt, QUrl
from PySide6.QtGui import QDropEvent, QImage
from sprites import disc, rgba

from mivex.core.image.files import write_picture
from mivex.demo import PROJECT
from mivex.ui.app import application, settle
from mivex.ui.files import guess_kind
from mivex.ui.window import Window

HERE = Path(__file__).parent


@pytest.fixture
def window(tmp_path):
    application()
    w = Window()
    w.recovery.file = tmp_path / "kept.json"
    w.ask_unsaved = lambda: "discard"
    w.resize(1280, 800)
    w.show()
    settle(w)
    yield w
    w.close()


def drop(window, *paths):
    data = QMimeData()
    data.setUrls([QUrl.fromLocalFile(str(p)) for p in paths])
    window.dropEvent(QDropEvent(QPointF(400, 300), Qt.DropAction.CopyAction, data, Qt.MouseButton.LeftButton,
                                Qt.KeyboardModifier.NoModifier))
    settle(window)


def test_the_whole_path_offscreen(tmp_path):
    application()
    drive.run(tmp_path)


@pytest.mark.skipif(not shutil.which("Xvfb"), reason="Xvfb is not installed")
def test_the_whole_path_in_a_real_window(tmp_path):
    read, write = os.pipe()
    server = subprocess.Popen(["Xvfb", "-displayfd", str(write), "-screen", "0", "1400x900x24", "-nolisten", "tcp"],
                              pass_fds=[write], stderr=subprocess.DEVNULL)
    try:
        display = b""
        while not display.endswith(b"\n"):
            display += os.read(read, 16)
        env = {**os.environ, "DISPLAY": f":{display.decode().strip()}", "QT_QPA_PLATFORM": "xcb"}
        done = subprocess.run([sys.executable, HERE / "drive.py", tmp_path, tmp_path / "shot.png"], env=env,
                              capture_output=True, text=True, timeout=150, check=False)
        assert done.returncode == 0, done.stderr[-3000:]
        assert "platform xcb" in done.stdout
        assert QImage(str(tmp_path / "shot.png")).width() >= 1100
    finally:
        server.terminate()
        server.wait(10)


def test_bad_input_says_one_sentence_and_loses_nothing(window, tmp_path):
    window.session.open(PROJECT)
    settle(window)
    doc = window.session.doc
    (tmp_path / "cut.png").write_bytes(b"\x89PNG\r\n\x1a\n1234")
    (tmp_path / "new.mivex").write_text('{"mivex": 9}')
    for bad, words in ((tmp_path / "cut.png", "cut.png"), (tmp_path / "gone.png", "no file"),
                       (tmp_path / "new.mivex", "newer")):
        drop(window, bad)
        assert words in window.notice.text() and window.notice.isVisible()
        assert window.session.doc is doc
    window.session.apply("x", lambda d: d.model_copy(update={"overlays": d.overlays[:1]}))
    assert not window._save(Path("/proc/nowhere/p.mivex")) and not window.session.saved
    window.deliver("/proc/nowhere", True)
    settle(window)
    assert "cannot be made" in window.notice.text()


def test_a_picture_that_goes_away_and_comes_back(window, tmp_path):
    write_picture(tmp_path / "p.png", rgba(np.full((64, 64, 3), 0.5), disc(64)))
    drop(window, tmp_path / "p.png")
    key = window.session.overlay_id
    assert key in window.engine.textures
    window.session.apply("gone", lambda d: __import__("mivex.core.project.edits", fromlist=["x"]).set_fields(
        d, key, "source", path=str(tmp_path / "none.png")))
    settle(window)
    assert "no file" in window.flat.canvas.message and "cannot be read" in window.rack._cards[key].kind.text()
    window.session.undo()
    settle(window)
    assert key in window.engine.textures and not window.flat.canvas.message


def test_tiny_and_large_pictures_and_every_size_of_window(window, tmp_path):
    write_picture(tmp_path / "dot.png", np.ones((1, 1, 4), np.float32))
    big = np.zeros((2160, 3840, 4), np.float32)
    big[500:1500, 900:2900] = 0.5
    write_picture(tmp_path / "uhd.png", big)
    drop(window, tmp_path / "dot.png", tmp_path / "uhd.png")
    assert len(window.session.doc.overlays) == 2
    assert window.engine.textures[window.session.overlay_id].width == 3840
    for w, h in ((1180, 720), (1920, 1080), (1280, 800)):
        window.resize(w, h)
        settle(window)
        for part in (window.rack, window.controls, window.tray, window.flat, window.stage):
            corner = part.mapTo(window, part.rect().bottomRight())
            assert 0 < corner.x() <= w and 0 < corner.y() <= h
        assert window.flat.canvas.image.width() == window.flat.canvas.width() > 200


def test_unsaved_work_is_asked_about_and_kept_aside(window, tmp_path):
    asked = []
    window.session.open(PROJECT)
    window.session.apply("x", lambda d: d.model_copy(update={"overlays": d.overlays[:2]}))
    window.ask_unsaved = lambda: asked.append(1) or "keep"
    window.new()
    assert asked and len(window.session.doc.overlays) == 2
    window.recovery.keep()
    for _ in range(200):
        if window.recovery.found():
            break
        settle(window, 0.05)
    doc, _, path = window.recovery.found()
    assert doc == window.session.doc and path == str(PROJECT.resolve())
    window.session.restore(doc, Path(path))
    assert not window.session.saved
    window.ask_unsaved = lambda: "discard"
    window.new()
    assert window.session.doc.overlays == () and window.session.saved
    assert str(PROJECT.resolve()) in window.session.recent()


def test_every_control_says_what_it_changes_and_does_change_something(window):
    """Each setting at each station: a name, a hint, and an edit that reaches the document and can be undone."""
    from mivex.ui.fields import ChoiceField, Field, NumberField, SwitchField
    window.session.open(PROJECT)
    window.session.choose("mote")
    settle(window)
    tried = 0
    for station in window.track.stops:
        window.go(station)
        names = [f.name for f in window.controls.findChildren(Field)]
        for name in dict.fromkeys(names):
            f = next(f for f in window.controls.findChildren(Field) if f.name == name)
            assert f.hint.endswith(".") and f.name
            start = window.session.doc
            if isinstance(f, NumberField):
                f.bar.put(f.bar.low if f.bar.value > (f.bar.low + f.bar.high) / 2 else f.bar.high)
            elif isinstance(f, SwitchField):
                f.check.click()
            elif isinstance(f, ChoiceField):
                f.edited.emit(f.words[(f.box.currentIndex() + 1) % len(f.words)])
            else:
                continue
            assert window.session.doc != start, name
            window.session.undo()
            window.session.end_merge()
            assert window.session.doc == start
            tried += 1
    assert tried > 25
    assert [guess_kind(n) for n in ("a_glass.png", "LOGO.tga", "hazard_chevrons.png", "smoke.png")] == [
        "glass", "logo", "decal", "sprite"]


def test_long_work_can_be_stopped_and_says_so(window, tmp_path, monkeypatch):
    """A step that takes a while shows what is done; Stop keeps the last result and loses nothing."""
    import time

    from mivex.core.prepare import STEPS
    write_picture(tmp_path / "p.png", rgba(np.full((64, 64, 3), 0.5), disc(64)))
    drop(window, tmp_path / "p.png")
    key, before = window.session.overlay_id, window.engine.textures[window.session.overlay_id]
    slow = STEPS["invert-alpha"]
    monkeypatch.setitem(STEPS, "invert-alpha", type(slow)(
        slow.params, lambda s, p, c: (time.sleep(1.6), slow.run(s, p, c))[1], slow.label, slow.hint, slow.station))
    window.controls.add_step(STEPS["invert-alpha"])
    window.controls.add_step(STEPS["levels"])
    end = time.monotonic() + 5
    while not window.busy.isVisible() and time.monotonic() < end:
        application().processEvents()
    assert "Invert alpha" in window.busy.words.text()
    window.stop()
    settle(window)
    assert "Stopped" in window.notice.text() and not window.busy.isVisible()
    assert window.engine.textures[key] is before and len(window.session.overlay.steps) == 2
    window.session.undo()
    settle(window)
    assert window.engine.textures[key].alpha[0, 0] == 1

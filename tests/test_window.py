"""The real window, offscreen and once on an X display of its own."""

import os
import shutil
import subprocess
import sys
from pathlib import Path

import drive
import numpy as np
import pytest
from PySide6.QtCore import QMimeData, QPoint, QPointF, Qt, QUrl
from PySide6.QtGui import QDropEvent, QImage
from PySide6.QtTest import QTest
from sprites import cut_from, disc, paint, rgba

from mivex.core.picture.encode import write_picture
from mivex.core.prepare import STEPS
from mivex.ui.fields.editors import CurveEdit, LevelsEdit
from mivex.ui.fields.fields import Field
from mivex.ui.fields.forms import shown_keys
from mivex.ui.fields.ramp import RampEdit
from mivex.ui.session.recent import recent_projects
from mivex.ui.shell.app import application, wait_until_idle
from mivex.ui.shell.files import guess_kind

HERE = Path(__file__).parent


def drop(window, *paths):
    data = QMimeData()
    data.setUrls([QUrl.fromLocalFile(str(p)) for p in paths])
    window.dropEvent(
        QDropEvent(
            QPointF(400, 300), Qt.DropAction.CopyAction, data, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier
        )
    )
    wait_until_idle(window)


def test_the_whole_path_offscreen(tmp_path):
    application()
    drive.run(tmp_path)


@pytest.mark.skipif(not shutil.which("Xvfb"), reason="Xvfb is not installed")
def test_the_whole_path_in_a_real_window(tmp_path):
    read, write = os.pipe()
    server = subprocess.Popen(
        ["Xvfb", "-displayfd", str(write), "-screen", "0", "1400x900x24", "-nolisten", "tcp"],
        pass_fds=[write],
        stderr=subprocess.DEVNULL,
    )
    try:
        display = b""
        while not display.endswith(b"\n"):
            display += os.read(read, 16)
        env = {**os.environ, "DISPLAY": f":{display.decode().strip()}", "QT_QPA_PLATFORM": "xcb"}
        done = subprocess.run(
            [sys.executable, HERE / "drive.py", tmp_path, tmp_path / "shot.png"],
            env=env,
            capture_output=True,
            text=True,
            timeout=600,
            check=False,
        )
        assert done.returncode == 0, done.stderr[-3000:]
        assert "platform xcb" in done.stdout
        assert QImage(str(tmp_path / "shot.png")).width() >= 1100
    finally:
        server.terminate()
        server.wait(10)


def test_bad_input_says_one_sentence_and_loses_nothing(window, tmp_path, small_demo):
    window.session.open(small_demo())
    wait_until_idle(window)
    doc = window.session.doc
    (tmp_path / "cut.png").write_bytes(b"\x89PNG\r\n\x1a\n1234")
    (tmp_path / "new.mivex").write_text('{"mivex": 9}')
    for bad, words in (
        (tmp_path / "cut.png", "cut.png"),
        (tmp_path / "gone.png", "no file"),
        (tmp_path / "new.mivex", "newer"),
    ):
        drop(window, bad)
        assert words in window.notice.text() and window.notice.isVisible()
        assert window.session.doc is doc
    window.session.apply("x", lambda d: d.model_copy(update={"overlays": d.overlays[:1]}))
    window._save(Path("/proc/nowhere/p.mivex"), None, lambda: None)
    wait_until_idle(window)
    assert "cannot be written" in window.notice.text() and not window.session.saved
    window.deliver("/proc/nowhere", True)
    wait_until_idle(window)
    assert "cannot be made" in window.notice.text()


def test_a_picture_that_goes_away_and_comes_back(window, tmp_path):
    write_picture(tmp_path / "p.png", rgba(np.full((64, 64, 3), 0.5), disc(64)))
    drop(window, tmp_path / "p.png")
    key = window.session.overlay_id
    assert window.engine.get(key).texture is not None
    window.session.apply(
        "gone",
        lambda d: __import__("mivex.core.project.edits", fromlist=["x"]).set_fields(
            d, key, "source", path=str(tmp_path / "none.png")
        ),
    )
    wait_until_idle(window)
    assert "no file" in window.flat.canvas.message and "cannot be read" in window.rack._cards[key].kind.text()
    window.session.undo()
    wait_until_idle(window)
    assert window.engine.get(key).texture is not None and not window.flat.canvas.message


def test_tiny_and_large_pictures_and_every_size_of_window(window, tmp_path):
    write_picture(tmp_path / "dot.png", np.ones((1, 1, 4), np.float32))
    big = np.zeros((2160, 3840, 4), np.float32)
    big[500:1500, 900:2900] = 0.5
    write_picture(tmp_path / "uhd.png", big)
    drop(window, tmp_path / "dot.png", tmp_path / "uhd.png")
    assert len(window.session.doc.overlays) == 2
    assert window.engine.get(window.session.overlay_id).texture.width == 3840
    for w, h in ((1180, 720), (1920, 1080), (1280, 800)):
        window.resize(w, h)
        wait_until_idle(window)
        for part in (window.rack, window.controls, window.tray, window.flat, window.stage):
            corner = part.mapTo(window, part.rect().bottomRight())
            assert 0 < corner.x() <= w and 0 < corner.y() <= h
        assert window.flat.canvas.image.width() == window.flat.canvas.width() > 200


def test_unsaved_work_is_asked_about_and_kept_aside(window, tmp_path, small_demo):
    asked, path = [], small_demo()
    window.session.open(path)
    window.session.apply("x", lambda d: d.model_copy(update={"overlays": d.overlays[:2]}))
    window.ask_unsaved = lambda: asked.append(1) or "keep"
    window.new()
    assert asked and len(window.session.doc.overlays) == 2
    window.recovery.keep()
    wait_until_idle(window)
    assert window.recovery.keeper.file.exists()
    window.ask_unsaved = lambda: "discard"
    window.new()
    assert not window.recovery.keeper.file.exists()
    assert window.session.doc.overlays == () and window.session.saved
    assert str(path.resolve()) in recent_projects()


def test_every_control_says_what_it_changes_and_does_change_something(window, small_demo):
    """Each setting at each station: a name, a hint, and an edit that reaches the document and can be undone."""
    from mivex.ui.fields.fields import ChoiceField, Field, SwitchField
    from mivex.ui.fields.number import NumberField

    window.session.open(small_demo())
    window.session.choose("mote")
    wait_until_idle(window)
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
        "glass",
        "logo",
        "decal",
        "sprite",
    ]


def test_long_work_can_be_stopped_and_says_so(window, tmp_path, monkeypatch):
    """A step that takes a while shows what is done; Stop keeps the last result and loses nothing."""
    import threading

    from mivex.core.prepare import STEPS

    write_picture(tmp_path / "p.png", rgba(np.full((64, 64, 3), 0.5), disc(64)))
    drop(window, tmp_path / "p.png")
    key, before = window.session.overlay_id, window.engine.get(window.session.overlay_id).texture
    slow, go = STEPS["invert-alpha"], threading.Event()
    monkeypatch.setitem(
        STEPS,
        "invert-alpha",
        type(slow)(slow.params, lambda s, p, c: (go.wait(60), slow.run(s, p, c))[1], slow.label, slow.hint, slow.station),
    )
    window.controls.add_step(STEPS["invert-alpha"])
    window.controls.add_step(STEPS["levels"])
    while not window.busy.isVisible() or "Invert" not in window.busy.words.text():
        application().processEvents()
    assert "Invert alpha" in window.busy.words.text()
    window.stop()
    go.set()
    wait_until_idle(window)
    assert "Stopped" in window.notice.text() and not window.busy.isVisible()
    assert window.engine.get(key).texture is before and len(window.session.overlay.steps) == 2
    window.session.undo()
    wait_until_idle(window)
    assert window.engine.get(key).texture.alpha[0, 0] == 1


def controls_of(window):
    return [f for f in window.controls.findChildren(Field) if f.isVisible()]


def test_every_step_can_be_added_shows_its_settings_and_its_picture(window, tmp_path):
    write_picture(tmp_path / "p.png", rgba(paint(32), disc(32)))
    drop(window, tmp_path / "p.png")
    plain, key = window.session.doc, window.session.overlay_id
    for name, step in STEPS.items():
        window.go(step.station)
        window.controls.add_step(step)
        wait_until_idle(window)
        at = window.session.step_index
        assert window.session.overlay.steps[at].step == name and not window.engine.get(key).problem
        shown = set(shown_keys(window.session.overlay.steps[at])) - {"red", "green", "blue", "alpha"}
        assert len(controls_of(window)) >= (1 if shown else 0)
        assert all(f.hint.endswith((".", "…")) for f in controls_of(window))
        if name in ("grow", "recolour"):
            window.controls.hint.show_step(name)
            wait_until_idle(window)
            assert not window.controls.hint.pictures[1].pixmap().isNull()
        window.session.undo()
        assert window.session.doc.overlays == plain.overlays


def test_from_a_photograph_on_a_flat_colour_to_a_clean_sprite(window, tmp_path):
    """Key, pick the key from the picture, narrow the edge by handle and drag, trim by the finding, deliver."""
    alpha, key = disc(128, 0.22, 0.03), (0.16, 0.58, 0.24)
    cut = cut_from(np.clip(paint(128) * [0.9, 0.3, 0.9], 0, 1), alpha, key)
    write_picture(tmp_path / "shell.png", cut.astype(np.float32))
    drop(window, tmp_path / "shell.png")
    s = window.session
    assert [f.id for f in window.tray.found] == ["no-alpha"]
    window.go("alpha")
    window.controls.add_step(STEPS["key-colour"])
    wait_until_idle(window)
    pick = next(f for f in controls_of(window) if f.name == "Key")
    drive.click(pick.picker)
    c = window.flat.canvas
    drive.click(c, QPoint(round(c.view.left + 4 * c.view.zoom), round(c.view.top + 4 * c.view.zoom)))
    wait_until_idle(window)
    assert s.overlay.steps[0].key == pytest.approx(key, abs=0.003)  # the stored colour, not the keyed result
    t = window.engine.get(s.overlay_id).texture
    assert t.alpha[0, 0] == 0 and t.alpha[64, 64] == 1
    assert {f.id for f in window.tray.found} == {"empty-margin", "fringe"}
    for check in ("empty-margin", "fringe"):
        window.tray.list.setCurrentRow(next(i for i, f in enumerate(window.tray.found) if f.id == check))
        wait_until_idle(window)
        drive.click(window.tray.repair)
        wait_until_idle(window)
    assert not window.tray.found
    # What is seen keeps its place on the stage: its outline is drawn round the smaller frame.
    assert window.stage.canvas._corners() is not None
    window.deliver(str(tmp_path / "out"), False)
    wait_until_idle(window)
    assert "found the same" in window.notice.text()
    while s.undo_label:
        s.undo()
    wait_until_idle(window)
    assert window.rack.empty.isVisible()


def test_handles_brush_curve_ramp_and_histogram_edit_the_picture(window, tmp_path):
    write_picture(tmp_path / "p.png", rgba(np.full((128, 128, 3), 0.6), np.ones((128, 128))))
    drop(window, tmp_path / "p.png")
    s, c = window.session, window.flat.canvas
    window.go("alpha")
    window.controls.add_step(STEPS["fall-off"])
    wait_until_idle(window)
    centre, size = QPoint(round(c.view.left + 64 * c.view.zoom), round(c.view.top + 64 * c.view.zoom)), 128 * c.view.zoom
    entries = len(s._back)
    drive.drag(c, centre, centre + QPoint(round(size / 4), 0))
    wait_until_idle(window)
    step = s.overlay.steps[0]
    assert step.x == pytest.approx(0.25, abs=0.01) and step.y == pytest.approx(0, abs=0.01) and len(s._back) == entries + 1
    high = QPoint(round(centre.x() + size / 4), round(centre.y() + size / 2))
    drive.drag(c, high, high - QPoint(0, round(size / 4)))
    wait_until_idle(window)
    assert s.overlay.steps[0].radius == pytest.approx(0.25, abs=0.01)
    alpha = window.engine.get(s.overlay_id).texture.alpha
    assert alpha[64, 96] > 0.99 and alpha[64, 40] == 0
    window.controls.add_step(STEPS["levels"])
    wait_until_idle(window)
    edit = window.controls.findChild(LevelsEdit)
    assert edit.counts is not None and edit.counts.sum() == 128 * 128
    spot = edit._spot("white").toPoint()
    drive.drag(edit, spot, spot - QPoint(60, 0))
    wait_until_idle(window)
    assert 0.5 < s.overlay.steps[1].white < 0.9
    window.controls.add_step(STEPS["curve"])
    wait_until_idle(window)
    curve = window.controls.findChild(CurveEdit)
    drive.click(curve, curve.spot(0.4, 0.9).toPoint())
    wait_until_idle(window)
    assert len(s.overlay.steps[2].points) == 3 and s.overlay.steps[2].points[1] == pytest.approx((0.4, 0.9), abs=0.02)
    QTest.keyClick(curve, Qt.Key.Key_Delete)
    assert len(s.overlay.steps[2].points) == 2
    window.go("colour")
    window.controls.add_step(STEPS["gradient-map"])
    wait_until_idle(window)
    ramp = window.controls.findChild(RampEdit)
    drive.click(ramp, QPoint(ramp.width() // 4, ramp.height() - 12))
    wait_until_idle(window)
    assert len(s.overlay.steps[3].ramp) == 4
    window.controls.add_step(STEPS["add-tint"])
    wait_until_idle(window)
    drive.choose(window, "Mask", "Brushed strokes")
    before = window.engine.get(s.overlay_id).texture.values.copy()
    paint_button = next(f for f in controls_of(window) if f.name == "Strokes").paint
    drive.click(paint_button)
    assert c.painting
    left = QPoint(round(c.view.left + size * 0.55), round(c.view.top + size / 2))
    drive.drag(c, left, left + QPoint(round(size / 4), 0))
    wait_until_idle(window)
    step = s.overlay.steps[4]
    assert len(step.strokes) == 1 and len(step.strokes[0].points) > 2
    changed = np.argwhere(np.abs(window.engine.get(s.overlay_id).texture.values - before).max(axis=-1) > 0)
    assert abs(changed[:, 0].mean() - 64) < 3 and changed[:, 1].min() + 20 > 64
    s.undo()
    assert len(s.overlay.steps[4].strokes) == 0  # one stroke, one entry
    # Where there is nothing to paint on, painting ends, in the picture and on the button alike.
    drive.choose(window, "Mask", "Everywhere")
    assert not c.painting and not window.controls.painting
    drive.choose(window, "Mask", "Brushed strokes")
    again = next(f for f in controls_of(window) if f.name == "Strokes").paint
    assert not again.isChecked()
    drive.click(again)
    assert c.painting and window.controls.painting
    window.go("edges")
    assert not c.painting and not window.controls.painting


def test_comparing_and_layouts_by_key_and_menu(window, small_demo):
    window.session.open(small_demo())
    window.session.choose("mote")
    wait_until_idle(window)
    c, seen = window.flat.canvas, {}

    def picture():
        wait_until_idle(window)
        return bytes(c.image.constBits())

    seen["after"] = picture()
    QTest.keyClick(window, "d")
    seen["divider"] = picture()
    window.flat.compare_by("beside")
    seen["beside"] = picture()
    window.flat.compare_with("step", "1")
    seen["step"] = picture()
    window.flat.compare_with("overlay", "bubble")
    seen["overlay"] = picture()
    window.flat.compare_by("flicker")
    c._flip()
    old = picture()
    c._flip()
    assert old != picture() and len(set(seen.values())) == len(seen)
    window.flat._fill_compare()
    assert [a.text() for a in window.flat.compare_menu.actions()][:2] == ["With the source", "With before “Levels”"]
    QTest.keyClick(window, "d")
    for keys, layout in (("l", "levels"), ("m", "magnify"), ("t", "tiles")):
        QTest.keyClick(window, keys)
        assert c.view.layout == layout and picture() not in seen.values() and not window.flat.zoom.isVisible()
        QTest.keyClick(window, keys)
        assert c.view.layout == "single"
    c.set_view(show="lit")
    a = picture()
    drive.hover(c, QPoint(c.width() // 2, c.height() // 2))
    drive.hover(c, QPoint(c.width() // 2 + 60, c.height() // 2 + 20))
    assert picture() != a

"""The window by mouse and keyboard: the stage's camera, the rack, steps, placements, typed values, opening, the tray."""

import math
from pathlib import Path

import drive
import numpy as np
import pytest
from PySide6.QtCore import QPoint, QPointF, Qt
from PySide6.QtGui import QWheelEvent
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication, QFileDialog, QInputDialog, QMenu, QPushButton, QToolButton
from sprites import disc, paint, rgba
from test_window import drop

from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.prepare.unmatte import Unmatte
from mivex.core.project import edits
from mivex.core.project.file import read_project, write_project
from mivex.core.stage.camera import View
from mivex.core.stage.placements_model import BillboardPlace, HullPlace, PanelPlace
from mivex.demo import PROJECT
from mivex.ui.fields.fields import ColourField, FileField, TextField
from mivex.ui.session.shipping import Shipping
from mivex.ui.shell import shots
from mivex.ui.shell.app import wait_until_idle

SHIFT = Qt.KeyboardModifier.ShiftModifier


@pytest.fixture
def bench(window, tmp_path):
    """The window with three pictures in it."""
    for i, name in enumerate(("pane", "puff", "mark")):
        write_picture(tmp_path / f"{name}.png", rgba(np.clip(paint(32) * (1 - 0.2 * i), 0, 1), disc(32)))
    drop(window, *(tmp_path / f"{n}.png" for n in ("pane", "puff", "mark")))
    return window


def tool(parent, tip):
    return next(b for b in parent.findChildren(QToolButton) if tip in b.toolTip() and b.isVisible())


def grab(widget, start, end, keys=Qt.KeyboardModifier.NoModifier, button=Qt.MouseButton.LeftButton):
    QTest.mousePress(widget, button, keys, start)
    for i in range(1, 6):
        at = QPointF(start + (end - start) * i / 5)
        from PySide6.QtCore import QEvent
        from PySide6.QtGui import QMouseEvent

        QApplication.sendEvent(
            widget, QMouseEvent(QEvent.Type.MouseMove, at, widget.mapToGlobal(at), Qt.MouseButton.NoButton, button, keys)
        )
    QTest.mouseRelease(widget, button, keys, end)


# The stage's camera ---------------------------------------------------------------------------------------------------


def test_dragging_the_stage_turns_pans_and_comes_near_by_the_amount_dragged(bench):
    c = bench.stage.canvas
    bench.session.apply(
        "bare", lambda d: d.model_copy(update={"overlays": tuple(o.model_copy(update={"places": ()}) for o in d.overlays)})
    )
    wait_until_idle(bench)
    a, b = QPoint(120, 200), QPoint(180, 240)
    start = c.camera
    before = c.image.copy()
    grab(c, a, b)
    wait_until_idle(bench)
    assert c.camera.yaw == pytest.approx(start.yaw - 60 * 0.4) and c.camera.pitch == pytest.approx(start.pitch + 40 * 0.3)
    assert (c.camera.target, c.camera.distance) == (start.target, start.distance) and c.image != before
    # Pitch stops short of the pole and of the floor.
    for far, pitch in ((QPoint(120, 2000), 89.0), (QPoint(120, -3000), -4.0)):
        grab(c, a, far)
        assert c.camera.pitch == pitch
    c.look(start)
    for keys, button in ((SHIFT, Qt.MouseButton.LeftButton), (Qt.KeyboardModifier.NoModifier, Qt.MouseButton.MiddleButton)):
        c.look(start)
        grab(c, a, b, keys, button)
        # What lay under the pointer at the target's depth lies under it still.
        view = View(start, c.width(), c.height())
        there = view.on_screen(np.array([start.target]))[0]
        now = View(c.camera, c.width(), c.height()).on_screen(np.array([start.target]))[0]
        assert now[:2] - there[:2] == pytest.approx([60, 40], abs=0.05)
    c.look(start)
    for turns in (1, -3):
        at = QPointF(100, 100)
        QApplication.sendEvent(
            c,
            QWheelEvent(
                at,
                c.mapToGlobal(at),
                QPoint(),
                QPoint(0, 120 * turns),
                Qt.MouseButton.NoButton,
                Qt.KeyboardModifier.NoModifier,
                Qt.ScrollPhase.NoScrollPhase,
                False,
            ),
        )
    assert c.camera.distance == pytest.approx(start.distance * 1.12**2)
    # Less than three pixels is a click, not a drag.
    c.look(start)
    grab(c, a, a + QPoint(1, 1))
    assert c.camera == start


def test_a_view_is_kept_under_a_name_and_found_again(bench, monkeypatch):
    c = bench.stage.canvas
    grab(c, QPoint(60, 300), QPoint(90, 300), SHIFT)
    kept = c.camera
    monkeypatch.setattr(QInputDialog, "getText", staticmethod(lambda *a, **k: ("  Bow  ", True)))
    drive.click(tool(bench.stage, "Keep this view"))
    assert bench.session.doc.cameras[-1].name == "Bow" and bench.session.doc.cameras[-1].yaw == kept.yaw
    QTest.keyClick(bench, "c")
    assert c.camera != bench.session.doc.cameras[-1]
    bench.stage.cameras.setCurrentIndex(len(bench.session.doc.cameras) - 1)
    bench.stage.cameras.activated.emit(len(bench.session.doc.cameras) - 1)
    assert c.camera.name == "Bow" and c.camera.target == kept.target
    bench.session.undo()
    assert "Bow" not in [k.name for k in bench.session.doc.cameras]


def test_an_overlay_is_scaled_and_turned_by_its_handles(bench):
    c, s = bench.stage.canvas, bench.session
    s.choose(s.doc.overlays[1].id)
    key = s.overlay_id
    s.apply("square", lambda d: edits.set_place(d, key, s.place_id, at=(0.0, 1.2, 0.8), width=0.6, height=0.6, roll=0.0))
    wait_until_idle(bench)
    corners = c._corners()
    middle = (corners[0] + corners[2]) / 2
    grab(c, corners[2].toPoint(), (middle + (corners[2] - middle) * 1.5).toPoint())
    assert c.place.width == pytest.approx(0.9, rel=0.03) and c.place.width == c.place.height
    knob = c._knob(c._corners())
    away = knob - middle
    grab(c, knob.toPoint(), (middle + QPointF(-away.y(), away.x())).toPoint())
    assert abs(c.place.roll) == pytest.approx(90, abs=3)
    for label in ("Turn", "Scale"):
        assert s.undo_label == f"{label} on the stage"
        s.undo()
    assert c.place.width == 0.6 and c.place.roll == 0


# The rack -------------------------------------------------------------------------------------------------------------


def test_cards_are_copied_moved_hidden_and_removed(bench):
    s, rack = bench.session, bench.rack

    def names():
        return [o.name for o in s.doc.overlays]

    assert names() == ["pane", "puff", "mark"]
    drive.click(rack._cards[s.doc.overlays[0].id])
    assert s.overlay.name == "pane"
    drive.click(tool(rack, "Move the card down"))
    assert names() == ["puff", "pane", "mark"] and s.overlay.name == "pane"
    drive.click(tool(rack, "Move the card up"))
    drive.click(tool(rack, "Move the card up"))  # at the top it stays
    assert names() == ["pane", "puff", "mark"]
    drive.click(tool(rack, "Copy the overlay"))
    wait_until_idle(bench)
    assert names() == ["pane", "pane 2", "puff", "mark"] and s.overlay.name == "pane 2"
    assert s.doc.overlays[0].places[0].id != s.doc.overlays[1].places[0].id
    with_it = bench.stage.canvas.image.copy()
    card = rack._cards[s.overlay_id]
    drive.click(card.eye)
    wait_until_idle(bench)
    assert not s.overlay.shown and bench.stage.canvas.image != with_it and "hidden" in bench.stage.place.text()
    drive.click(rack._cards[s.overlay_id].eye)
    wait_until_idle(bench)
    assert s.overlay.shown and bench.stage.canvas.image == with_it
    QTest.keyClick(bench, Qt.Key.Key_Backspace, Qt.KeyboardModifier.ControlModifier)
    assert names() == ["pane", "puff", "mark"]
    for _ in range(3):
        drive.click(tool(rack, "Remove the overlay"))
    wait_until_idle(bench)
    assert names() == [] and rack.empty.isVisible() and s.overlay is None
    s.undo()
    assert names() == [s.overlay.name]


# Steps and placements -------------------------------------------------------------------------------------------------


def test_steps_are_moved_switched_and_removed_by_their_cards(bench):
    s = bench.session
    s.choose(s.doc.overlays[0].id)
    drive.go(bench, "alpha")
    for label in ("Levels", "Threshold", "Invert alpha"):
        drive.add_step(bench, label)

    def steps():
        return [k.step for k in s.overlay.steps]

    def card_button(tip):
        wait_until_idle(bench)
        return next(b for b in bench.controls.findChildren(QToolButton) if b.accessibleName() == tip and b.isVisible())

    assert steps() == ["levels", "threshold", "invert-alpha"]
    drive.click(card_button("Earlier: Invert alpha"))
    assert steps() == ["levels", "invert-alpha", "threshold"]
    drive.click(card_button("Later: Levels"))
    assert steps() == ["invert-alpha", "levels", "threshold"]
    assert not card_button("Earlier: Invert alpha").isEnabled() and not card_button("Later: Threshold").isEnabled()
    wait_until_idle(bench)
    t = bench.engine.get(s.overlay_id).texture.alpha.copy()
    drive.click(card_button("Remove the step: Threshold"))
    wait_until_idle(bench)
    assert steps() == ["invert-alpha", "levels"] and not np.array_equal(bench.engine.get(s.overlay_id).texture.alpha, t)
    s.undo()
    wait_until_idle(bench)
    assert steps() == ["invert-alpha", "levels", "threshold"]
    assert np.array_equal(bench.engine.get(s.overlay_id).texture.alpha, t)


def test_placements_are_added_chosen_and_taken_off(bench):
    s = bench.session
    s.choose(s.doc.overlays[0].id)
    drive.go(bench, "place")
    add = next(b for b in bench.controls.findChildren(QPushButton) if b.text() == "Place it" and b.isVisible())
    kinds = {"Panel": PanelPlace, "On the hull": HullPlace, "Faces the camera": BillboardPlace}
    for words, kind in kinds.items():
        count = len(s.overlay.places)
        add = next(b for b in bench.controls.findChildren(QPushButton) if b.text() == "Place it" and b.isVisible())
        next(a for a in add.menu().actions() if a.text() == words).trigger()
        wait_until_idle(bench)
        assert len(s.overlay.places) == count + 1 and isinstance(s.overlay.places[-1], kind)
        assert s.place_id == s.overlay.places[-1].id
    first = next(b for b in bench.controls.findChildren(QPushButton) if b.text().startswith("1 ") and b.isVisible())
    drive.click(first)
    wait_until_idle(bench)
    assert s.place_id == s.overlay.places[0].id
    ids = [p.id for p in s.overlay.places]
    gone = next(b for b in bench.controls.findChildren(QToolButton) if b.accessibleName() == "Remove placement 2")
    drive.click(gone)
    wait_until_idle(bench)
    assert [p.id for p in s.overlay.places] == [ids[0], *ids[2:]]
    f = drive.field(bench, "Width")
    f.bar.setFocus()
    QTest.keyClicks(f.bar, "1")
    QTest.keyClicks(f.bar._edit, ".25 m")
    QTest.keyClick(f.bar._edit, Qt.Key.Key_Return)
    assert s.overlay.places[0].width == 1.25


# Typed values ---------------------------------------------------------------------------------------------------------


def test_names_colours_and_paths_are_typed_and_nonsense_is_refused(bench, tmp_path):
    s = bench.session
    s.choose(s.doc.overlays[0].id)
    drive.go(bench, "source")
    name = drive.field(bench, "Name")
    assert isinstance(name, TextField)
    for typed, kept in (("Porthole", "Porthole"), ("   ", "Porthole"), ("  Pane  ", "Pane")):
        name = drive.field(bench, "Name")
        name.line.setText(typed)
        QTest.keyClick(name.line, Qt.Key.Key_Return)
        wait_until_idle(bench)
        assert s.overlay.name == kept
    path = drive.field(bench, "Picture")
    assert isinstance(path, FileField)
    path.line.setText(str(tmp_path / "puff.png"))
    QTest.keyClick(path.line, Qt.Key.Key_Return)
    wait_until_idle(bench)
    assert np.array_equal(bench.engine.get(s.overlay_id).picture.values, read_picture(tmp_path / "puff.png").values)
    path = drive.field(bench, "Picture")
    path.line.setText("nowhere.png")
    QTest.keyClick(path.line, Qt.Key.Key_Return)
    wait_until_idle(bench)
    assert "no file" in bench.engine.get(s.overlay_id).problem and "nowhere.png" in bench.flat.canvas.message
    s.undo()
    wait_until_idle(bench)
    drive.go(bench, "blend")
    tint = drive.field(bench, "Tint")
    assert isinstance(tint, ColourField)
    for typed, rgb in (
        ("#804020", (128 / 255, 64 / 255, 32 / 255)),
        ("no colour", (128 / 255, 64 / 255, 32 / 255)),
        ("ff0000", (1.0, 0.0, 0.0)),
    ):
        tint = drive.field(bench, "Tint")
        tint.line.setText(typed)
        QTest.keyClick(tint.line, Qt.Key.Key_Return)
        wait_until_idle(bench)
        assert s.overlay.material.tint == pytest.approx(rgb, abs=0.003), typed


# Opening, pictures of the views, the tray -----------------------------------------------------------------------------


def test_a_good_project_opens_by_menu_by_drop_and_from_the_recent_ones(window, tmp_path, monkeypatch):
    doc, key = edits.add_blank(read_project(PROJECT).model_copy(update={"overlays": ()}), "Sheet", "glass", (32, 16))
    for name in ("one", "two"):
        write_project(tmp_path / f"{name}.mivex", edits.set_fields(doc, key, "", name=name))
    monkeypatch.setattr(QFileDialog, "getOpenFileName", staticmethod(lambda *a, **k: (str(tmp_path / "one.mivex"), "")))
    QTest.keyClick(window, Qt.Key.Key_O, Qt.KeyboardModifier.ControlModifier)
    wait_until_idle(window)
    assert window.session.overlay.name == "one" and window.session.saved and window.windowTitle().startswith("one")
    assert window.engine.get(key).texture.width == 32
    drop(window, tmp_path / "two.mivex")
    assert window.session.overlay.name == "two" and not window.session.undo_label
    recent = QMenu()
    window.fill_recent(recent)
    rows = [a.text() for a in recent.actions()]
    assert rows[:2] == [str(tmp_path / "two.mivex"), str(tmp_path / "one.mivex")]
    recent.actions()[1].trigger()
    wait_until_idle(window)
    assert window.session.overlay.name == "one"


def test_every_main_view_is_written_as_a_picture(tmp_path, small_demo, monkeypatch):
    # Those that the views go to; all the others would only stand in the rack.
    path = small_demo(
        "porthole",
        "registry",
        "bubble",
        "bubble_black",
        "mote",
        "plume",
        "oil",
        "buoy",
        "net",
        "pane_left",
        "pane_right",
        "bubbles_sheet",
        "silt_dark",
        "silt_bright",
        "silt_banded",
    )
    monkeypatch.setattr(shots, "PROJECT", path)
    # The table of what survives takes long for a whole project; it has a test of its own.
    monkeypatch.setattr(Shipping, "try_all", lambda _self: None)
    done = list(shots.write_shots(tmp_path / "views"))
    assert len(done) >= 16 and len({p.name for p in done}) == len(done)
    seen = {bytes(read_picture(p).values) for p in done}
    assert len(seen) == len(done)
    for p in done:
        assert (read_picture(p).width, read_picture(p).height) == (1280, 800)
        assert (Path("docs/screenshots") / p.name).exists()


def test_what_a_repair_costs_is_shown_beside_it(window, tmp_path):
    """A crisp shape whose edge itself holds green: only repainting the edge helps, and the tray shows what that changes."""
    alpha = disc(128, 0.3, 0.02)
    rgb = np.where((alpha > 0.6)[..., None], [0.8, 0.5, 0.3], [0.1, 0.8, 0.2])
    write_picture(tmp_path / "keyed.png", rgba(rgb, alpha))
    drop(window, tmp_path / "keyed.png")
    row = next(i for i, f in enumerate(window.tray.found) if f.id == "fringe")
    window.tray.list.setCurrentRow(row)
    wait_until_idle(window)
    cost = window.tray.current.repair.cost
    assert window.tray.cost.isVisible() and window.tray.cost.pixmap().width() == 192
    assert f"{cost.figure:.0f} of 255" in window.tray.repair.text() and cost.figure > 30
    t = window.engine.get(window.session.overlay_id).texture
    # The figure is what the step does to seen texels, over black, grey and white.
    window.tray.mend()
    wait_until_idle(window)
    after = window.engine.get(window.session.overlay_id).texture
    seen = t.alpha > 0
    assert np.abs(after.values - t.values)[seen].max() > 0.3 and np.array_equal(after.alpha, t.alpha)
    window.session.undo()
    # Findings stand in the order of what they do on screen.
    weights = [f.weight for f in window.tray.found]
    assert weights == sorted(weights, reverse=True)


def test_a_matte_step_says_in_its_card_what_it_clips(window, tmp_path):
    write_picture(tmp_path / "white.png", rgba(np.ones((64, 64, 3)), disc(64)))
    drop(window, tmp_path / "white.png")
    key = window.session.overlay_id
    window.session.apply("matte", lambda d: edits.set_steps(d, key, (Unmatte(),)))
    drive.go(window, "edges")
    wait_until_idle(window)
    from PySide6.QtWidgets import QLabel

    said = [k.text() for k in window.controls.findChildren(QLabel) if k.isVisible() and "clipped" in k.text()]
    assert len(said) == 1 and "%" in said[0]
    assert math.isclose(float(said[0].split("%")[0]), 95, abs_tol=6)

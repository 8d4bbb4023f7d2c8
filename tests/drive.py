"""One run through the real window with mouse and keys; used offscreen by the tests and, as a script, under Xvfb."""

import json
import sys
import time
from pathlib import Path

import numpy as np
from PySide6.QtCore import QEvent, QPoint, QPointF, Qt
from PySide6.QtGui import QMouseEvent
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication, QFileDialog, QMenu, QPushButton, QToolButton, QWidget
from sprites import cut_from, disc, paint, rgba

from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.project.file import read_project
from mivex.ui.fields.fields import ChoiceField, Field
from mivex.ui.fields.number import NumberField
from mivex.ui.shell.app import application, wait_until_idle
from mivex.ui.shell.window import Window

LEFT = Qt.MouseButton.LeftButton


def click(widget: QWidget, at: QPoint | None = None) -> None:
    """Press and release the left button."""
    QTest.mouseClick(widget, LEFT, Qt.KeyboardModifier.NoModifier, at or widget.rect().center())


def drag(widget: QWidget, start: QPoint, end: QPoint) -> None:
    """Press, move in steps, release."""
    QTest.mousePress(widget, LEFT, Qt.KeyboardModifier.NoModifier, start)
    for i in range(1, 6):
        QTest.mouseMove(widget, start + (end - start) * i / 5)
        QApplication.processEvents()
    QTest.mouseRelease(widget, LEFT, Qt.KeyboardModifier.NoModifier, end)


def hover(widget: QWidget, at: QPoint) -> None:
    """Move the pointer with no button pressed, whatever the display does with a pointer of its own."""
    where = QPointF(at)
    none = Qt.MouseButton.NoButton
    QApplication.sendEvent(
        widget,
        QMouseEvent(QEvent.Type.MouseMove, where, widget.mapToGlobal(where), none, none, Qt.KeyboardModifier.NoModifier),
    )


def field(window: Window, name: str) -> Field:
    """The setting of that name at the present station."""
    return next(f for f in window.controls.findChildren(Field) if f.name == name and f.isVisible())


def choose(window: Window, name: str, text: str) -> None:
    """Choose a word with the keyboard."""
    f = field(window, name)
    assert isinstance(f, ChoiceField)
    f.box.setFocus()
    row = f.box.findText(text)
    while f.box.currentIndex() != row:
        now = f.box.currentIndex()
        QTest.keyClick(f.box, Qt.Key.Key_Down if row > now else Qt.Key.Key_Up)
        QApplication.processEvents()
        f = field(window, name)
    wait_until_idle(window)


def add_step(window: Window, label: str) -> None:
    """Press “Add a step” and take one from its menu."""
    button = next(b for b in window.controls.findChildren(QPushButton) if b.text() == "Add a step" and b.isVisible())
    menu = button.menu()
    assert isinstance(menu, QMenu)
    next(a for a in menu.actions() if a.text() == label).trigger()
    wait_until_idle(window)


def go(window: Window, station: str) -> None:
    """Click a station on the track."""
    click(window.track.stops[station])
    wait_until_idle(window)


def run(folder: Path, shot: str = "") -> None:
    """Open, mask, repair, blend, place, deliver, save, undo it all."""
    alpha = disc(64)
    write_picture(folder / "puff.png", rgba(cut_from(paint(64), alpha, (0, 0, 0)), alpha)[..., :3])
    window = Window()
    window.ask_unsaved = lambda: "discard"  # type: ignore[method-assign]
    window.show()
    QTest.qWaitForWindowExposed(window)
    window.activateWindow()  # no window manager does it under Xvfb
    QTest.qWaitForWindowActive(window)
    wait_until_idle(window)
    s = window.session
    empty = s.doc
    assert window.rack.empty.isVisible() and "Drop pictures" in window.flat.canvas.message

    # Open: the button asks for pictures.
    QFileDialog.getOpenFileNames = staticmethod(lambda *a, **k: ([str(folder / "puff.png")], ""))  # type: ignore
    click(next(b for b in window.rack.findChildren(QToolButton) if "Add pictures" in b.toolTip()))
    wait_until_idle(window)
    assert s.overlay and s.overlay.name == "puff" and s.overlay.kind == "sprite"
    assert [f.id for f in window.tray.found] == ["no-alpha"]
    plain = window.stage.canvas.image.copy()

    # Mask: a step with its source chosen by keyboard, then a number dragged and typed.
    go(window, "alpha")
    add_step(window, "Make alpha")
    choose(window, "Take alpha from", "A matte")
    add_step(window, "Levels")
    f = field(window, "High in")
    assert isinstance(f, NumberField)
    entries = len(s._back)
    drag(f.bar, QPoint(f.bar.width() - 4, 10), QPoint(f.bar.width() // 2, 10))
    wait_until_idle(window)
    assert 0.3 < s.overlay.steps[1].white < 0.8 and len(s._back) == entries + 1  # one entry for the whole drag
    f = field(window, "High in")
    f.bar.setFocus()
    QTest.keyClicks(f.bar, "0")
    QTest.keyClicks(f.bar._edit, ".95")
    QTest.keyClick(f.bar._edit, Qt.Key.Key_Return)
    wait_until_idle(window)
    assert s.overlay.steps[1].white == 0.95
    assert window.engine.get(s.overlay_id).texture.alpha[0, 0] == 0 < window.engine.get(s.overlay_id).texture.alpha[32, 32]

    # Blend: Additive, its equation on show, and back.
    go(window, "blend")
    choose(window, "Blend", "Additive")
    assert s.overlay.material.blend == "Additive"
    choose(window, "Blend", "Translucent")
    check = field(window, "Depth write").check  # type: ignore[attr-defined]
    click(check, QPoint(8, check.height() // 2))
    wait_until_idle(window)

    # Repair: the finding goes to its place and its repair mends it.
    row = next(i for i, f in enumerate(window.tray.found) if f.id == "depth-write")
    window.tray.list.setCurrentRow(row)
    wait_until_idle(window)
    assert window.controls.station == "blend" and window.tray.repair.isVisible()
    click(window.tray.repair)
    wait_until_idle(window)
    assert not s.overlay.material.depth_write
    assert [f.id for f in window.tray.found] == ["fringe"]  # black lies under the texels that were made clear
    window.tray.list.setCurrentRow(0)
    wait_until_idle(window)
    assert window.controls.station == "edges" and window.flat.canvas.view.show == "fringe"
    click(window.tray.repair)
    wait_until_idle(window)
    assert not window.tray.found and s.overlay.steps[-1].step == "spread"

    # Place: drag it in the picture, turn it, scale it.
    go(window, "place")
    canvas = window.stage.canvas
    place = canvas.place
    corners = canvas._corners()
    middle = ((corners[0] + corners[2]) / 2).toPoint()
    drag(canvas, middle, middle + QPoint(30, -20))
    wait_until_idle(window)
    assert canvas.place.at != place.at
    corners = canvas._corners()
    drag(canvas, corners[2].toPoint(), corners[2].toPoint() + QPoint(25, 25))
    knob = canvas._knob(canvas._corners()).toPoint()
    drag(canvas, knob, knob + QPoint(40, 20))
    wait_until_idle(window)
    assert canvas.place.width > place.width and canvas.place.roll != 0
    assert canvas.image != plain

    # Proof: every way of looking draws a picture of its own.
    go(window, "edges")
    flat, seen = window.flat.canvas, set()
    for show in ("over", "colour", "alpha", "red", "green", "blue", "fringe"):
        flat.set_view(show=show)
        wait_until_idle(window)
        seen.add(bytes(flat.image.constBits()))
    for keys in ("b", "l", "l", "d", "]", "["):
        QTest.keyClick(window, keys)
        wait_until_idle(window)
        seen.add(bytes(flat.image.constBits()))
    assert len(seen) >= 9
    drag(flat, QPoint(round(flat.width() * flat.divider), 60), QPoint(40, 60))
    assert flat.divider < 0.3
    hover(flat, flat.rect().center())
    wait_until_idle(window)
    assert "A 1.000" in window.flat.values.text() or "A 0" in window.flat.values.text()
    if shot:
        window.grab().save(shot)

    # Deliver and save.
    go(window, "deliver")
    QFileDialog.getExistingDirectory = staticmethod(lambda *a, **k: str(folder / "out"))  # type: ignore
    click(next(b for b in window.controls.findChildren(QPushButton) if b.objectName() == "main" and b.isVisible()))
    wait_until_idle(window)
    assert "found the same" in window.notice.text()
    sheet = json.loads((folder / "out" / "puff.blend.json").read_text())
    assert sheet["blend"]["name"] == "Translucent"
    assert np.array_equal(read_picture(folder / "out" / "puff.png").values, window.engine.get(s.overlay_id).texture.values)
    QFileDialog.getSaveFileName = staticmethod(lambda *a, **k: (str(folder / "bench.mivex"), ""))  # type: ignore
    QTest.keyClick(window, Qt.Key.Key_S, Qt.KeyboardModifier.ControlModifier)
    wait_until_idle(window)
    assert s.saved and read_project(folder / "bench.mivex") == s.doc
    assert s.overlay.source.path == "puff.png"

    # A source that changes on disk is read again.
    before = window.engine.get(s.overlay_id).texture.key
    write_picture(folder / "puff.png", np.ones((32, 32, 3), np.float32) * 0.25)
    end = time.monotonic() + 120  # the system tells of it when it comes to it
    while time.monotonic() < end:
        QTest.qWait(20)
        wait_until_idle(window)
        if window.engine.get(s.overlay_id).texture.key != before:
            break
    assert window.engine.get(s.overlay_id).picture.width == 32

    # Layers: glass from an empty canvas, made dirty by a build, painted on, cleared.
    window.add_canvas("glass")
    wait_until_idle(window)
    add = next(b for b in window.controls.findChildren(QPushButton) if b.text() == "Add a layer")
    add.menu().aboutToShow.emit()
    builds = next(a.menu() for a in add.menu().actions() if a.text() == "A build")
    next(a for a in builds.actions() if a.text() == "Smeared pane").trigger()
    add.menu().aboutToShow.emit()
    next(a for a in add.menu().actions() if a.text() == "To paint on").trigger()
    wait_until_idle(window)
    clean = window.engine.get(s.overlay_id).texture.values
    s.set_brush(values={"opacity": 0.0}, tip=s.brush.tip.model_copy(update={"form": "hard", "size": 0.1}))
    flat = window.flat.canvas
    flat.fit()
    wait_until_idle(window)
    here = flat.rect().center()
    drag(flat, here - QPoint(40, 0), here + QPoint(40, 2))
    wait_until_idle(window)
    painted = window.engine.get(s.overlay_id).texture.values
    assert s.undo_label == "Paint" and painted[512, 512, 3] == 0 < clean[512, 512, 3]
    assert np.array_equal(painted[..., :3], clean[..., :3]) and np.array_equal(painted[:200], clean[:200])
    QTest.keyClick(window, "p")
    assert not window.layer_painter.on
    QTest.keyClick(window, Qt.Key.Key_S, Qt.KeyboardModifier.ControlModifier)
    wait_until_idle(window)
    assert s.saved and read_project(folder / "bench.mivex") == s.doc

    # Undo it all, and do it all again.
    final = s.doc
    count = 0
    while s.undo_label:
        QTest.keyClick(window, Qt.Key.Key_Z, Qt.KeyboardModifier.ControlModifier)
        count += 1
        assert count < 200
    wait_until_idle(window)
    assert s.doc.overlays == empty.overlays and window.rack.empty.isVisible() and not s.saved
    while s.redo_label:
        s.redo()
    wait_until_idle(window)
    assert s.doc == final and s.saved
    window.close()
    assert not window.isVisible()


if __name__ == "__main__":
    app = application()
    run(Path(sys.argv[1]), sys.argv[2])
    print("platform", app.platformName())

"""The caret in the column of settings: what is half typed belongs to whoever types, and counts before anything is done."""

import drive
import pytest
from PySide6.QtCore import Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication
from sprites import disc, paint, rgba
from test_arrivals import Gate, drop
from test_keeping import names

from mivex.core.picture.encode import write_picture
from mivex.core.project import edits
from mivex.core.project.file import read_project
from mivex.ui.fields.fields import ChoiceField, TextField
from mivex.ui.fields.number import NumberField
from mivex.ui.session import engine as engine_module
from mivex.ui.shell.app import wait_until_idle

CTRL = Qt.KeyboardModifier.ControlModifier


@pytest.fixture
def puff(window, tmp_path):
    """A window with one small overlay at Source; the overlay's id."""
    write_picture(tmp_path / "puff.png", rgba(paint(24), disc(24)))
    window.add_pictures([str(tmp_path / "puff.png")])
    wait_until_idle(window)
    window.activateWindow()
    QTest.qWaitForWindowActive(window)
    return window.session.overlay_id


def line_of(window, name="Name"):
    field = drive.field(window, name)
    assert isinstance(field, TextField)
    return field.line


def begin_name(window, text="my new na"):
    line = line_of(window)
    line.setFocus()
    line.selectAll()
    QTest.keyClicks(line, text)
    return line


def test_a_half_typed_name_outlives_every_refresh_and_counts_at_return(window, puff, monkeypatch):
    s = window.session
    line = begin_name(window)
    for signal in (s.changed, s.stepped, window.engine.examined, window.engine.inputs_ready):
        signal.emit()
    window.engine.prepared.emit(puff)
    # The set of controls becomes another one meanwhile: it waits until the caret is gone.
    s.apply("Lit", lambda d: edits.set_fields(d, puff, "material", lit=False, tiling=True))
    wait_until_idle(window)
    assert line_of(window) is line and line.text() == "my new na" and line.hasFocus()
    assert s.overlay.name == "puff"
    QTest.keyClicks(line, "me")
    QTest.keyClick(line, Qt.Key.Key_Return)
    wait_until_idle(window)
    assert s.overlay.name == "my new name" and s.undo_label == "Rename"
    assert "Where it repeats" in [w.text() for w in window.controls.findChildren(type(window.tray.message))]
    # The keys are free again: Undo takes the name back, and a letter is a shortcut.
    QTest.keyClick(QApplication.focusWidget() or window, Qt.Key.Key_Z, CTRL)
    assert s.overlay.name == "puff"


def test_a_name_is_typed_while_the_first_preparation_ends(window, tmp_path, monkeypatch):
    write_picture(tmp_path / "slow.png", rgba(paint(24), disc(24)))
    gate = Gate(monkeypatch, engine_module.Results, "make")
    window.add_pictures([str(tmp_path / "slow.png")])
    gate.wait()
    while not (window.session.doc.overlays and window.session.refresher.idle):
        QApplication.processEvents()
    line = begin_name(window, "typed ea")
    gate.let_go()
    wait_until_idle(window)
    assert line_of(window) is line and line.text() == "typed ea"
    QTest.keyClicks(line, "rly")
    QTest.keyClick(line, Qt.Key.Key_Tab)
    wait_until_idle(window)
    assert window.session.overlay.name == "typed early"


def test_escape_takes_back_what_is_typed(window, puff):
    line = begin_name(window)
    QTest.keyClick(line, Qt.Key.Key_Escape)
    wait_until_idle(window)
    assert line_of(window).text() == "puff" and window.session.overlay.name == "puff" and not line.hasFocus()
    assert window.session.undo_label == "Add overlay"


@pytest.mark.parametrize("act", ["copy", "station", "other", "drop", "undo"])
def test_what_is_half_typed_counts_before_anything_else_is_done(window, puff, tmp_path, act):
    s = window.session
    if act == "other":
        window.rack.copy_chosen()
        s.choose(puff)
        wait_until_idle(window)
    line = begin_name(window, "half")
    if act == "copy":
        QTest.keyClick(line, Qt.Key.Key_D, CTRL)
    elif act == "station":
        drive.click(window.track.stops["blend"])
    elif act == "other":
        s.choose(next(o.id for o in s.doc.overlays if o.id != puff))
    elif act == "drop":
        write_picture(tmp_path / "more.png", rgba(paint(16), disc(16)))
        drop(window, [str(tmp_path / "more.png")])
    else:
        window.undo_action.trigger()  # from the menu: the name counts, and is what is taken back
    wait_until_idle(window)
    assert s.doc.overlay(puff).name == ("puff" if act == "undo" else "half")
    assert window.controls.findChildren(TextField) or act == "station"
    if act in ("copy", "other", "drop"):
        assert s.overlay_id != puff and line_of(window).text() == s.overlay.name
        begin_name(window, "alive")  # the column is not dead
        QTest.keyClick(line_of(window), Qt.Key.Key_Return)
        assert s.overlay.name == "alive" and s.doc.overlay(puff).name == "half"


def test_saving_and_closing_take_what_is_half_typed(window, puff, tmp_path, monkeypatch):
    path = tmp_path / "dock.mivex"
    monkeypatch.setattr("mivex.ui.shell.saving.QFileDialog.getSaveFileName", staticmethod(lambda *a: (str(path), "")))
    line = begin_name(window, "saved")
    QTest.keyClick(line, Qt.Key.Key_S, CTRL)
    wait_until_idle(window)
    assert names(path) == ["saved"] and window.session.saved
    window.go("blend")
    bar = drive.field(window, "Opacity").bar
    bar.setFocus()
    QTest.keyClicks(bar, ".")
    QTest.keyClicks(bar._edit, "2")
    window.save()
    wait_until_idle(window)
    assert read_project(path).overlays[0].material.opacity == 0.2
    bar = drive.field(window, "Opacity").bar
    bar.setFocus()
    QTest.keyClicks(bar, "0")
    QTest.keyClicks(bar._edit, ".7")
    asked = []
    window.ask_unsaved = lambda: asked.append(window.session.overlay.material.opacity) or "save"
    window.close()
    settle_closed(window)
    assert asked == [0.7] and read_project(path).overlays[0].material.opacity == 0.7


def settle_closed(window):
    for _ in range(20_000):
        QApplication.processEvents()
        if not window.isVisible():
            return
        QTest.qWait(1)
    raise AssertionError("it stayed open")


def test_a_number_is_typed_and_the_keys_are_free_again(window, puff):
    s = window.session
    window.go("blend")
    field = drive.field(window, "Opacity")
    assert isinstance(field, NumberField)
    bar = field.bar
    bar.setFocus()
    time = window.desk.time
    for key in ".5":
        QTest.keyClicks(QApplication.focusWidget(), key)
    assert bar._edit.isVisible() and bar._edit.text() == ".5" and window.desk.time == time
    QTest.keyClick(QApplication.focusWidget(), Qt.Key.Key_Return)
    assert s.overlay.material.opacity == 0.5 and not bar._edit.isVisible() and bar.hasFocus()
    QTest.keyClick(bar, Qt.Key.Key_Right)
    assert s.overlay.material.opacity == 0.51
    QTest.keyClick(bar, Qt.Key.Key_Return)
    QTest.keyClicks(bar._edit, "nonsense")
    QTest.keyClick(bar._edit, Qt.Key.Key_Return)
    assert s.overlay.material.opacity == 0.51 and not bar._edit.isVisible()
    QTest.keyClick(bar, Qt.Key.Key_Return)
    QTest.keyClicks(bar._edit, "0.9")
    QTest.keyClick(bar._edit, Qt.Key.Key_Escape)
    assert s.overlay.material.opacity == 0.51 and bar.hasFocus() and not bar._edit.isVisible()
    for _ in range(2):
        QTest.keyClick(bar, Qt.Key.Key_Z, CTRL)
    assert s.overlay.material.opacity == 1.0
    # A drag leaves the keys to the proofs.
    window.flat.canvas.setFocus()
    drive.drag(bar, bar.rect().center(), bar.rect().center() - drive.QPoint(30, 0))
    assert not bar.hasFocus() and s.overlay.material.opacity != 1.0


def test_single_keys_are_no_shortcuts_while_a_field_list_or_table_has_the_focus(window, puff):
    s = window.session
    window.go("blend")
    wait_until_idle(window)
    choice = drive.field(window, "Blend")
    assert isinstance(choice, ChoiceField)
    window.tray.list.setVisible(True)
    fired = []
    for word in ("D", "B", "P", "V", "L", "M", "H", "G", ".", ","):
        action = next(a for a in window.findChildren(type(window.undo_action)) if a.shortcut().toString() == word)
        action.triggered.connect(lambda _=False, w=word: fired.append(w))
    shown = s.overlay.shown
    for find in (
        lambda: drive.field(window, "Opacity").bar,
        lambda: window.rack.list,
        lambda: drive.field(window, "Blend").box,
        lambda: window.tray.list,
    ):
        for key in "dbpvlmhg.,":
            widget = find()
            widget.setFocus()
            assert widget.hasFocus()
            QTest.keyClick(QApplication.focusWidget(), key)
        assert fired == [], (widget, fired)
        window.flat.canvas.setFocus()
    assert s.overlay.shown == shown
    for key in "dv":
        QTest.keyClick(window.flat.canvas, key)
    assert fired == ["D", "V"] and s.overlay.shown != shown
    # A card that is clicked leaves the keys where they were.
    drive.click(window.rack._cards[puff])
    assert window.flat.canvas.hasFocus()

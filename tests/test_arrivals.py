"""What arrives late: pictures, projects, saves and strokes meet the document of the moment, in the order asked for."""

import threading
import time
from functools import partial
from itertools import chain, repeat

import pytest
from PySide6.QtCore import QMimeData, QPoint, QPointF, Qt, QUrl
from PySide6.QtGui import QDragEnterEvent, QDropEvent
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication
from sprites import disc, paint, rgba
from test_keeping import document, names, rename

from mivex.core.base.log import state_folder
from mivex.core.layers.model import Layer
from mivex.core.picture.encode import write_picture
from mivex.core.prepare import STEPS
from mivex.core.project import edits, keeping, layer_edits
from mivex.core.project.file import Stamp, read_project, write_project
from mivex.core.project.keeping import Keeper, left_behind, project_lock
from mivex.ui.shell import files as files_module
from mivex.ui.shell import saving
from mivex.ui.shell.app import wait_until_idle

LEFT, NONE = Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier


@pytest.fixture
def pictures(tmp_path):
    """Makes so many small pictures; their paths."""

    def make(first, count):
        paths = []
        for i in range(first, first + count):
            path = tmp_path / f"p{i:02d}.png"
            write_picture(path, rgba(paint(16), disc(16)))
            paths.append(str(path))
        return paths

    return make


def drop(window, paths):
    mime = QMimeData()
    mime.setUrls([QUrl.fromLocalFile(p) for p in paths])
    copy = Qt.DropAction.CopyAction
    QApplication.sendEvent(window, QDragEnterEvent(QPoint(300, 300), copy, mime, LEFT, NONE))
    QApplication.sendEvent(window, QDropEvent(QPointF(300, 300), copy, mime, LEFT, NONE))


class Gate:
    """Holds a function of a module back until it is let through."""

    def __init__(self, monkeypatch, module, name):
        self.entered, self._open = threading.Event(), threading.Event()
        real = getattr(module, name)

        def held(*args, **values):
            self.entered.set()
            assert self._open.wait(60)
            return real(*args, **values)

        monkeypatch.setattr(module, name, held)

    def wait(self):
        end = time.monotonic() + 60
        while not self.entered.is_set():
            QApplication.processEvents()
            assert time.monotonic() < end

    def let_go(self):
        self._open.set()


def test_everything_that_is_dropped_arrives_in_order_one_entry_a_drop(window, pictures, monkeypatch):
    gate = Gate(monkeypatch, files_module, "read_picture")
    s = window.session
    drops = [pictures(0, 4), [*pictures(4, 5), str(window.session.folder) + "/nothing.png"], pictures(9, 2)]
    for paths in drops:
        drop(window, paths)
    gate.wait()
    window.add_blank()  # in the middle of it; what is being read comes after
    gate.let_go()
    wait_until_idle(window)
    assert [o.name for o in s.doc.overlays] == ["Drawn", *(f"p{i:02d}" for i in range(11))]
    assert s.overlay.name == "p10" and "nothing.png" in window.notice.text()
    labels = []
    while s.undo_label:
        labels.append(s.undo_label)
        s.undo()
    assert labels == ["Add 2 overlays", "Add 5 overlays", "Add 4 overlays", "Add a drawn overlay"]
    while s.redo_label:
        s.redo()
    assert len(s.doc.overlays) == 12


def test_reading_that_is_stopped_keeps_what_was_read_and_says_so(window, pictures, monkeypatch):
    paths = pictures(0, 6)
    real, count = files_module.read_picture, []

    def third_stops(path):
        count.append(path)
        if len(count) == 3:
            window.jobs.halt()
        return real(path)

    monkeypatch.setattr(files_module, "read_picture", third_stops)
    window.add_pictures(paths)
    wait_until_idle(window)
    assert len(window.session.doc.overlays) == 3 and "3 of 6 files were not read" in window.notice.text()


def test_pictures_dropped_during_a_stroke_stay_and_so_does_the_stroke(window, pictures):
    s = window.session
    window.add_canvas("glass")
    wait_until_idle(window)
    row = Layer(id="paint", name="Paint")
    key = s.overlay_id
    s.apply("row", lambda d: layer_edits.add_row(d, key, row))
    s.choose_row("paint")
    s.set_brush(values={"opacity": 0.0})
    window.paint()
    wait_until_idle(window)
    canvas = window.flat.canvas
    canvas.fit()
    wait_until_idle(window)
    middle = canvas.rect().center()
    QTest.mousePress(canvas, LEFT, NONE, middle - QPoint(40, 0))
    QTest.mouseMove(canvas, middle)
    drop(window, pictures(0, 6))
    wait_until_idle(window)
    assert len(s.doc.overlays) == 7 and s.overlay.name == "p05"  # chosen while the button is down
    QTest.mouseMove(canvas, middle + QPoint(30, 5))
    QTest.mouseRelease(canvas, LEFT, NONE, middle + QPoint(30, 5))
    wait_until_idle(window)
    assert len(s.doc.overlays) == 7
    painted = s.doc.overlay(key).layers.row("paint")
    assert len(painted.strokes) == 1 and "opacity" in painted.cells and s.undo_label == "Paint"
    assert all(not o.layers.rows for o in s.doc.overlays if o.id != key)
    s.undo()
    assert len(s.doc.overlays) == 7 and not s.doc.overlay(key).layers.row("paint").strokes
    # Its layer is taken away while the button is down: nothing is painted, nothing comes back.
    s.choose(key)
    s.choose_row("paint")
    window.paint()
    wait_until_idle(window)
    QTest.mousePress(canvas, LEFT, NONE, middle)
    s.apply("gone", lambda d: layer_edits.remove_row(d, key, "paint"))
    QTest.mouseMove(canvas, middle + QPoint(10, 10))
    QTest.mouseRelease(canvas, LEFT, NONE, middle + QPoint(10, 10))
    wait_until_idle(window)
    assert not s.doc.overlay(key).layers.rows and s.undo_label == "gone"


def test_saves_under_three_names_are_all_written_and_followed(window, tmp_path, monkeypatch):
    paths = [tmp_path / n / f"{n}.mivex" for n in "abc"]
    for p in paths:
        p.parent.mkdir()
    gate = Gate(monkeypatch, saving, "write_project")
    followed = []
    window.add_blank()
    for i, p in enumerate(paths):
        rename(window, f"At {p.stem}")
        monkeypatch.setattr(saving.QFileDialog, "getSaveFileName", staticmethod(lambda *a, p=p: (str(p), "")))
        window.save_as(lambda i=i: followed.append(i))
    rename(window, "After")
    gate.let_go()
    wait_until_idle(window)
    assert [names(p) for p in paths] == [["At a"], ["At b"], ["At c"]] and followed == [0, 1, 2]
    assert window.session.path == paths[2] and not window.session.saved
    # Saved twice in a row under one name: the second does not take the first for somebody else's.
    window.ask_changed = lambda p: pytest.fail("asked about its own save")
    window.save()
    rename(window, "Once more")
    window.save()
    wait_until_idle(window)
    assert names(paths[2]) == ["Once more"] and window.session.saved
    lock = project_lock(paths[2])
    assert not lock.take()
    assert all(project_lock(p).take() for p in paths[:2])


def test_what_is_changed_while_a_project_opens_is_asked_about(window, tmp_path, pictures, monkeypatch):
    path = tmp_path / "dock.mivex"
    write_project(path, document())
    gate = Gate(monkeypatch, saving, "open_project")
    asked, answers = [], chain(["keep"], repeat("discard"))
    window.ask_unsaved = lambda: asked.append(len(window.session.doc.overlays)) or next(answers)
    window.open(str(path))
    gate.wait()
    window.add_blank()
    gate.let_go()
    wait_until_idle(window)
    assert asked == [1] and window.session.doc.overlays[0].name == "Drawn" and window.session.path is None
    lock = project_lock(path)
    assert lock.take()  # the project that was not taken is nobody's
    lock.free()
    # What was dropped after it was asked for is for the project that opens, or for the one that stays.
    window.open(str(path))
    drop(window, pictures(0, 2))
    wait_until_idle(window)
    assert [o.name for o in window.session.doc.overlays] == ["Pane 0", "p00", "p01"] and window.session.path == path


def test_what_is_changed_while_a_save_before_leaving_is_written_is_not_lost(window, tmp_path, monkeypatch):
    path = tmp_path / "dock.mivex"
    write_project(path, document())
    window.open(str(path))
    wait_until_idle(window)
    rename(window, "First")
    gate = Gate(monkeypatch, saving, "write_project")
    answers = ["save", "save"]
    window.ask_unsaved = lambda: answers.pop(0)
    window.close()
    gate.wait()
    rename(window, "Second")
    gate.let_go()
    end = time.monotonic() + 60
    while window.isVisible() and time.monotonic() < end:
        QApplication.processEvents()
    assert not window.isVisible() and not answers and names(path) == ["Second"]


def test_saves_that_were_asked_for_are_written_before_the_window_goes(window, tmp_path, monkeypatch):
    path = tmp_path / "dock.mivex"
    write_project(path, document())
    window.open(str(path))
    wait_until_idle(window)
    window.open(str(path))  # once more: it is still this window's
    wait_until_idle(window)
    assert not window.session.elsewhere and not project_lock(path).take()
    gate = Gate(monkeypatch, saving, "write_project")
    window.ask_unsaved = lambda: pytest.fail("nothing is unsaved once the saves are written")
    for name in ("One", "Two"):
        rename(window, name)
        window.save()
    window.close()
    gate.wait()
    assert window.isVisible()
    gate.let_go()
    end = time.monotonic() + 60
    while window.isVisible() and time.monotonic() < end:
        QApplication.processEvents()
    assert not window.isVisible() and names(path) == ["Two"]


def test_a_save_that_fails_before_leaving_keeps_the_window_and_the_queue(window, tmp_path, pictures, monkeypatch):
    path = tmp_path / "dock.mivex"
    write_project(path, document())
    window.add_blank()
    wait_until_idle(window)
    monkeypatch.setattr(saving.QFileDialog, "getSaveFileName", staticmethod(lambda *a: (str(tmp_path / "no" / "x"), "")))
    window.ask_unsaved = lambda: "save"
    window.open(str(path))
    drop(window, pictures(0, 1))
    wait_until_idle(window)
    assert "cannot be written" in window.notice.text() and window.session.path is None
    assert [o.name for o in window.session.doc.overlays] == ["Drawn", "p00"]
    window.ask_unsaved = lambda: "discard"


def test_leaving_with_something_under_way_asks_first(window, pictures, monkeypatch):
    gate = Gate(monkeypatch, files_module, "read_picture")
    asked, answers = [], ["keep", "stop"]
    window.ask_under_way = lambda waiting: asked.append([q.name for q in waiting]) or answers.pop(0)
    window.add_pictures(pictures(0, 3))
    gate.wait()
    window.close()
    assert asked == [["jobs", "deliveries"]] and window.isVisible()
    window.new()  # given up: what was being read does not turn up in the new project
    gate.let_go()
    wait_until_idle(window)
    assert asked[1:] == [["jobs"]] and window.session.doc.overlays == ()


def test_restored_work_holds_its_projects_lock(window, tmp_path):
    path = tmp_path / "dock.mivex"
    write_project(path, document())
    for offer in (True, False):
        lost = Keeper()
        lost.keep(document("Lost"), str(path), str(tmp_path), Stamp.on_disk(path))
        lost._lock.free()
        window.ask_kept = lambda kept: "restore"
        if offer:
            window.open(str(path), offer=True)  # this very window holds the lock when the work is restored
        else:
            window.new()
            window.offer_kept()
        wait_until_idle(window)
        assert window.session.doc.overlays[0].name == "Lost 0" and not window.session.elsewhere
        assert not project_lock(path).take()


@pytest.mark.parametrize("moment", range(6))
def test_a_clean_close_leaves_nothing_to_restore(window, tmp_path, monkeypatch, moment):
    window.add_blank()
    wait_until_idle(window)
    real = keeping.Batch.commit
    writing = threading.Event()

    def slow(batch):
        writing.set()
        time.sleep(0.02 * moment)
        real(batch)

    monkeypatch.setattr(keeping.Batch, "commit", slow)
    window.recovery.keep()
    if moment % 2:
        writing.wait(20)
    window.close()
    window.recovery.worker.join(20)
    assert left_behind() == [] and not list((state_folder() / "unsaved").glob("*.json"))


def test_closing_is_quick_whatever_is_being_checked_and_prepared(window, tmp_path):
    """A check and a step at 4096² are stopped where they are; the window is gone within half a second."""
    write_picture(tmp_path / "big.png", rgba(paint(2048), disc(2048)))
    window.add_pictures([str(tmp_path / "big.png")])
    wait_until_idle(window)
    key = window.session.overlay_id
    took = []
    for wait in (0.05, 0.4, 0.9):
        steps = (_step("levels", gamma=1 + wait), _step("grow", by=3 + 10 * wait))
        window.session.apply("step", partial(edits.set_steps, overlay_id=key, steps=steps))
        end = time.monotonic() + wait
        while time.monotonic() < end:
            QApplication.processEvents()
        took.append(_stops_within(window))
    wait_until_idle(window)
    assert max(took) < 3.0, took  # a loaded machine; alone it is a tenth of that
    begun = time.monotonic()
    window.close()
    assert not window.isVisible() and time.monotonic() - begun < 3.0


def _step(name, **values):
    return STEPS[name].params.model_validate({"step": name, **values})


def _stops_within(window):
    begun = time.monotonic()
    window.engine.stop()
    while not window.engine.idle:
        QApplication.processEvents()
        time.sleep(0.001)
    return time.monotonic() - begun


def test_a_project_read_again_is_the_one_that_is_saved(window, tmp_path):
    """The round trip of the whole rule: drop, save, edit while saving, undo, save, and what lies on disk is on show."""
    path = tmp_path / "dock.mivex"
    write_project(path, document())
    window.open(str(path))
    rename_later = []
    wait_until_idle(window)
    rename(window, "One")
    window.save(lambda: rename_later.append(window.session.doc.overlays[0].name))
    window.session.undo()
    wait_until_idle(window)
    assert rename_later == ["Pane 0"] and names(path) == ["One"] and not window.session.saved
    window.save()
    wait_until_idle(window)
    assert read_project(path) == window.session.doc and window.session.saved

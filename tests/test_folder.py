"""A folder of pictures as a table: worst first, opened, mended as copies, let stand with a reason that is kept."""

import json
import shutil

import drive
import numpy as np
import pytest
from drawn_art import drawn, with_matte
from PySide6.QtCore import QMimeData, QPointF, Qt, QUrl
from PySide6.QtGui import QDropEvent
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QInputDialog
from sprites import disc, paint, rgba
from test_project import mivex_run

from mivex.core.checking.folder import look_at_picture, pictures_in
from mivex.core.findings import CHECKS
from mivex.core.findings.ignoring import digest_of, ignore, ignored_in
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.project.document import Document
from mivex.core.project.file import dumps, loads, relocated
from mivex.ui.shell.app import wait_until_idle


@pytest.fixture
def folder(tmp_path):
    """Clean, cut from a backdrop, fringed, broken; one lies deeper, one is hidden, one is no picture."""
    there = tmp_path / "art"
    (there / "deep").mkdir(parents=True)
    (there / ".cache").mkdir()
    write_picture(there / "clean.png", rgba(paint(64), disc(64)), 8)
    write_picture(there / "deep" / "cut.png", with_matte(drawn(40004)[0], 40004), 8)
    y, x = np.mgrid[:128, :128]
    twigs = ((np.abs((x + 0.5 * y) % 21 - 10) < 3) & (np.hypot(x - 63.5, y - 63.5) < 58)).astype(np.float32)
    write_picture(there / "twigs.png", rgba(np.where(twigs[..., None] > 0, paint(128), 0), twigs), 8)
    (there / "broken.png").write_bytes(b"no picture")
    (there / "notes.txt").write_text("nothing to see")
    shutil.copy(there / "clean.png", there / ".cache" / "clean.png")
    return there


def opened(window, folder):
    """The window with the folder dropped on it, as the mouse does."""
    data = QMimeData()
    data.setUrls([QUrl.fromLocalFile(str(folder))])
    left, none = Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier
    window.dropEvent(QDropEvent(QPointF(9, 9), Qt.DropAction.CopyAction, data, left, none))
    sheet = window.folder_sheet
    wait_until_idle(window)
    QTest.qWait(500)  # the table takes things in a little later
    return sheet


def at(sheet, name):
    return next(i for i, r in enumerate(sheet.shown) if r.name == name)


def test_every_picture_of_a_folder_is_listed_the_worst_first(window, folder):
    assert [p.relative_to(folder).as_posix() for p in pictures_in(folder)] == [
        "broken.png",
        "clean.png",
        "twigs.png",
        "deep/cut.png",
    ]
    sheet = opened(window, folder)
    assert sheet.shown[0].name == "broken.png" and sheet.shown[-1].name == "clean.png"
    assert "3 of 4 pictures" in sheet.state.text() and not sheet.stop.isVisible()
    heads = [sheet.table.horizontalHeaderItem(k).text() for k in range(sheet.table.columnCount())]
    assert {CHECKS["matte"].title, CHECKS["fringe"].title} <= set(heads)
    matte = sheet.table.item(at(sheet, "deep/cut.png"), heads.index(CHECKS["matte"].title))
    row = sheet.shown[at(sheet, "deep/cut.png")]
    want = next(f for f in row.findings if f.id == "matte")
    assert matte.text() == f"{want.figure:.0f}" and want.message in matte.toolTip()
    assert (
        "is broken" in sheet.table.item(0, 0).toolTip() and not sheet.table.item(at(sheet, "clean.png"), 0).icon().isNull()
    )
    drive.click(sheet.only)
    assert [r.name for r in sheet.shown][-1] != "clean.png" and len(sheet.shown) == 3
    sheet.close()
    assert "folder" not in window.session.workers.busy


def test_pictures_are_opened_and_mended_as_copies_from_the_table(window, folder, tmp_path):
    sheet = opened(window, folder)
    assert not sheet.opens.isEnabled()
    sheet.table.selectRow(at(sheet, "twigs.png"))
    QTest.keyClick(sheet.table, Qt.Key.Key_Return)
    wait_until_idle(window)
    assert [o.name for o in window.session.doc.overlays] == ["twigs"]
    before = (folder / "twigs.png").read_bytes()
    sheet.mend_into(str(tmp_path / "out"))
    wait_until_idle(window)
    made = read_picture(tmp_path / "out" / "twigs.png").values
    assert (folder / "twigs.png").read_bytes() == before
    old = read_picture(folder / "twigs.png").values
    seen = old[..., 3] > 0
    assert np.array_equal(made[seen], old[seen]) and not np.array_equal(made, old)
    # Into its own folder it would write over itself: said, and nothing is lost.
    sheet.mend_into(str(folder))
    wait_until_idle(window)
    assert (folder / "twigs.png").read_bytes() == before
    sheet.close()


def test_what_is_ignored_keeps_its_reason_and_counts_again_when_the_picture_changes(window, folder, tmp_path, monkeypatch):
    sheet = opened(window, folder)
    sheet.table.selectRow(at(sheet, "twigs.png"))
    monkeypatch.setattr(QInputDialog, "getText", staticmethod(lambda *a, **k: ("meant so", True)))
    drive.click(sheet.ignores)
    QTest.qWait(500)
    row = window.session.doc.ignored[0]
    assert row.reason == "meant so" and "fringe" in row.findings and row.digest == digest_of(folder / "twigs.png")
    k = sheet.table.kinds.index("fringe") + 2
    cell = sheet.table.item(at(sheet, "twigs.png"), k)
    assert cell.text() == "–" and "meant so" in cell.toolTip() and "2 of 4 pictures" in sheet.state.text()
    # Opened, it does not nag: it is only possible there, and says why.
    sheet.table.selectRow(at(sheet, "twigs.png"))
    drive.click(sheet.opens)
    wait_until_idle(window)
    found = {f.id: f for f in window.engine.all_findings()}
    assert found["fringe"].certainty == "possible" and "meant so" in found["fringe"].why
    # It is written with the project and read again; the command line knows of it.
    project = tmp_path / "p.mivex"
    monkeypatch.setattr("PySide6.QtWidgets.QFileDialog.getSaveFileName", staticmethod(lambda *a, **k: (str(project), "")))
    window.save_as()
    wait_until_idle(window)
    assert json.loads(project.read_text())["ignored"][0]["reason"] == "meant so"
    told = {f["id"]: f for f in json.loads(mivex_run("check", str(project), "--json").stdout)["findings"]}
    assert told["fringe"]["certainty"] == "possible"
    # Undone, it counts; another picture under the same name counts again, too.
    doc = window.session.doc
    assert ignored_in(doc, tmp_path, folder / "twigs.png") is not None
    write_picture(folder / "twigs.png", rgba(paint(64), disc(64)), 8)
    assert ignored_in(doc, tmp_path, folder / "twigs.png") is None
    drive.click(sheet.again) if sheet.again.isEnabled() else None
    QTest.qWait(400)
    sheet.close()


def test_ignored_paths_follow_the_project_and_a_project_without_any_stays_as_it_was(tmp_path):
    doc = ignore(Document(), "art/a.png", ("fringe", "matte"), "why", "00")
    moved = relocated(doc, tmp_path, tmp_path / "other")
    assert moved.ignored[0].path == "../art/a.png" and relocated(moved, tmp_path / "other", tmp_path) == doc
    assert loads(json.loads(dumps(doc)), "p") == doc and "ignored" not in json.loads(dumps(Document()))
    assert ignore(doc, "art/a.png", (), "", "") == Document()


def test_a_picture_that_cannot_be_examined_is_a_row_with_a_sentence(folder):
    row = look_at_picture(folder / "broken.png", folder, 32)
    assert (
        row.problem
        and row.thumb is None
        and row.badness(None) < look_at_picture(folder / "twigs.png", folder, 32).badness(None)
    )
    gone = look_at_picture(folder / "gone.png", folder, 32)
    assert gone.problem and "gone.png" in gone.problem

"""The five minutes of the README, step by step as they are written, with mouse and keys in the real window."""

import re
from pathlib import Path

import pytest
from drive import click, drag, go, hover
from PySide6.QtCore import QPoint, Qt
from PySide6.QtGui import QImage
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication, QFileDialog, QPushButton
from test_project import mivex_run

from mivex.core.findings import CHECKS
from mivex.ui.shell.app import wait_until_idle

SHIFT, CTRL = Qt.KeyboardModifier.ShiftModifier, Qt.KeyboardModifier.ControlModifier
HERE = Path(__file__).parent.parent


def step(number):
    """What the README says of a step, without its marks."""
    text = (HERE / "README.md").read_text(encoding="utf-8")
    body = text[text.index("## Five minutes") :].split(f"\n{number}. ", 1)[1]
    return re.sub(r"\s+", " ", re.split(r"\n\d+\. |\n\n", body)[0])


def said(number, *words):
    """The step names all of these, so that what is done here is what is written there."""
    told = step(number)
    for w in words:
        assert f"*{w}*" in told or f"`{w}`" in told, (w, told)


def take(window, name):
    """Click a card of the rack by its name."""
    key = next(o.id for o in window.session.doc.overlays if o.name == name)
    rows = window.rack.list
    row = rows.item(list(window.rack._cards).index(key))
    rows.scrollToItem(row)
    QTest.mouseClick(rows.viewport(), Qt.MouseButton.LeftButton, pos=rows.visualItemRect(row).center())
    wait_until_idle(window)
    assert window.session.overlay_id == key


def finding(window, title):
    """Click a line of the tray by its title."""
    rows = window.tray.list
    row = next(k for k, f in enumerate(window.tray.found) if CHECKS[f.id].title == title)
    rows.scrollToItem(rows.item(row))
    QTest.mouseClick(rows.viewport(), Qt.MouseButton.LeftButton, pos=rows.visualItemRect(rows.item(row)).center())
    wait_until_idle(window)


def press(window, words):
    """Press the button in the tray that says so."""
    button = next(b for b in window.tray.findChildren(QPushButton) if b.isVisible() and b.text() == words)
    click(button)
    wait_until_idle(window)


def test_the_five_minutes_go_as_they_are_written(window, small_demo, tmp_path, monkeypatch):
    path = small_demo("mote", "bubble_black", "pane_writes", "pane_left", "pane_right", "plume", "chevrons")
    monkeypatch.setattr("mivex.demo.PROJECT", path)
    window.open_demo()
    wait_until_idle(window)
    s, stage, flat = window.session, window.stage.canvas, window.flat.canvas

    said(1, "C")
    before = stage.image.copy()
    drag(stage, QPoint(40, stage.height() - 40), QPoint(140, stage.height() - 60))
    wait_until_idle(window)
    assert stage.image != before
    before = stage.image.copy()
    QTest.keyClick(window, "c")
    wait_until_idle(window)
    assert stage.image != before
    window.stage.canvas.look(s.doc.cameras[0])

    said(2, "Lamp mote", "Alpha", "Make alpha", "Levels", "D")
    take(window, "Lamp mote")
    go(window, "alpha")
    assert [x.step for x in s.overlay.steps] == ["alpha-from", "levels"]
    before = flat.image.copy()
    QTest.keyClick(window, "d")
    wait_until_idle(window)
    assert flat.image != before
    QTest.keyClick(window, "d")
    wait_until_idle(window)
    assert flat.image == before

    said(3, "Matte left in soft parts")
    finding(window, "Matte left in soft parts")
    assert s.overlay_id == "bubble_black" and window.tray.current.id == "matte"

    said(4, "Remove the matte", "Fringe when filtered", "Spread edge colour outwards")
    press(window, "Remove the matte")
    assert not [f for f in window.tray.found if f.id == "matte"]
    finding(window, "Fringe when filtered")
    press(window, "Spread edge colour outwards")
    assert not [f for f in window.tray.found if "bubble_black" in f.overlays and f.id in ("matte", "fringe")]

    said(5, "Hidden by what is seen through")
    finding(window, "Hidden by what is seen through")
    drawn = stage.image.copy()
    assert window.tray.current.id == "hidden" and window.tray.repair.isVisible()
    click(window.tray.repair)
    wait_until_idle(window)
    assert "hidden" not in [f.id for f in window.tray.found] and stage.image != drawn

    said(6, "Shift+F2", "Y")
    QTest.keyClick(window, Qt.Key.Key_F2, SHIFT)
    here = QPoint(stage.width() // 2, stage.height() // 2)
    hover(stage, here)
    wait_until_idle(window)
    assert window.tray.ledger.account is not None

    QTest.keyClick(window, "y")
    assert window.tray.ledger.pin.isChecked()
    QTest.keyClick(window, "y")

    said(7, "Silt plume", "Q", "Escape")
    take(window, "Silt plume")
    QTest.keyClick(window, "q")
    wait_until_idle(window)
    assert window.sheet is not None and window.sheet.isVisible()
    QTest.keyClick(window.sheet, Qt.Key.Key_Escape)
    wait_until_idle(window)
    assert window.sheet is None or not window.sheet.isVisible()
    window.activateWindow()  # a window manager does so
    QTest.qWaitForWindowActive(window)

    said(8, "Ctrl+V", "O")
    count = len(s.doc.overlays)
    mine = QImage(48, 48, QImage.Format.Format_ARGB32)
    mine.fill(0x80FF4020)
    QApplication.clipboard().setImage(mine)
    monkeypatch.setattr(QFileDialog, "getSaveFileName", staticmethod(lambda *a, **k: (str(tmp_path / "mine.png"), "")))
    QTest.keyClick(window, "v", CTRL)
    wait_until_idle(window)
    assert len(s.doc.overlays) == count + 1
    camera = stage.view.camera
    QTest.keyClick(window, "o")
    wait_until_idle(window)
    assert stage.view.camera != camera

    said(8, "folder")
    (tmp_path / "mine").mkdir()
    mine.save(str(tmp_path / "mine" / "flat.png"))
    window.look_through(str(tmp_path / "mine"))
    wait_until_idle(window)
    window.folder_sheet.take_in()
    assert [r.name for r in window.folder_sheet.shown] == ["flat.png"]
    QTest.keyClick(window.folder_sheet, Qt.Key.Key_Escape)
    window.activateWindow()
    QTest.qWaitForWindowActive(window)

    said(9, "Ctrl+Shift+E", "Read back")
    monkeypatch.setattr(QFileDialog, "getExistingDirectory", staticmethod(lambda *a, **k: str(tmp_path / "out")))
    QTest.keyClick(window, "e", CTRL | SHIFT)
    wait_until_idle(window)
    assert (tmp_path / "out" / "proof.html").is_file() and (tmp_path / "out" / "Lamp_mote.png").is_file()
    window.go("deliver")
    assert window.outgoing.page == "back" and window.outgoing.table.rowCount() > 6

    said(10, "Intake", "Transparency left off", "Ctrl+S", "Ctrl+Z", "F1")
    window.outgoing.show_page("intake")
    wait_until_idle(window)
    view = window.outgoing.intake
    box = next(b for b in view.boxes.values() if b.text() == "Transparency left off")
    whole = window.shipping.codes.copy()
    click(box, QPoint(8, box.height() // 2))
    wait_until_idle(window)
    assert (window.shipping.codes != whole).any()
    QTest.keyClick(window, "s", CTRL)
    wait_until_idle(window)
    assert s.saved
    QTest.keyClick(window, "z", CTRL)
    assert not s.saved


def test_every_picture_and_page_that_the_documents_name_is_there():
    for page in (HERE / "README.md", HERE / "CONTRIBUTING.md", *(HERE / "docs").glob("*.md")):
        for target in re.findall(r"\]\(([^)#\s]+)(?:#[^)]*)?\)", page.read_text(encoding="utf-8")):
            assert target.startswith("http") or (page.parent / target).exists(), (page.name, target)
    shown = set(
        re.findall(
            r"screenshots/([\w.-]+\.png)",
            "".join(p.read_text(encoding="utf-8") for p in (HERE / "README.md", HERE / "docs" / "tour.md")),
        )
    )
    assert shown == {p.name for p in (HERE / "docs" / "screenshots").iterdir()}


def shown_commands():
    """What the README shows of the command line: verb (two words for sheets and the card), and its options."""
    text = (HERE / "README.md").read_text(encoding="utf-8")
    block = text[text.index("## On the command line") :].split("```")[1]
    found, verb = {}, ""
    for line in block.strip().split("\n"):
        if line.startswith("mivex"):
            words = line.split()[1:]
            verb = (
                " ".join(words[:2])
                if words[:1] in (["sheet"], ["card"])
                else words[0]
                if words and words[0].islower()
                else ""
            )
        found.setdefault(verb, set()).update(re.findall(r"--[a-z-]+", line))
    return {v: o for v, o in found.items() if v and v != "the"}


@pytest.mark.parametrize(("verb", "options"), sorted(shown_commands().items()))
def test_the_readme_names_every_option_of_a_command_and_no_other(verb, options):
    told = mivex_run(*verb.split(), "--help", env={"COLUMNS": "200", "TERMINAL_WIDTH": "200"}).stdout
    real = set(re.findall(r"(?<![\w-])--[a-z-]+", told[told.index("Options") :])) - {"--help"}
    assert options <= real and real == options, real ^ options


def test_the_readme_names_every_command():
    told = mivex_run("--help").stdout
    named = {v.split()[0] for v in shown_commands()}
    assert set(re.findall(r"^[│|] (\w+) ", told, re.M)) - {"Show"} == named

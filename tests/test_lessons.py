"""Lessons: every finding has a page whose left case has it and whose right one has not; the same stand in the documents."""

from pathlib import Path

import numpy as np
import pytest
from PySide6.QtCore import QPoint, QRect, Qt
from PySide6.QtTest import QTest

from mivex.core.findings import CHECKS
from mivex.core.lessons.model import HIGH, WIDE, lessons
from mivex.core.lessons.pages import pair, text
from mivex.core.picture.files import read_picture
from mivex.ui.shell.app import wait_until_idle
from mivex.ui.shell.tour import STOPS

LOOKS_ALIKE = {"veil", "budget", "size", "motion-bounds", "cutout-does", "lit-flat", "chance", "sheet-past"}
"""Nothing, or next to nothing, of these is seen: they cost memory or time, or are a matter of luck."""


def test_every_finding_has_a_lesson():
    assert set(lessons()) == set(CHECKS)


@pytest.mark.parametrize("check", CHECKS)
def test_the_left_case_has_the_finding_and_the_right_one_has_not(check):
    lesson = lessons()[check]
    found = lesson.found()
    assert found is not None and lesson.found(good=True) is None
    assert lesson.why.endswith(".") and lesson.avoid.endswith(".") and len(lesson.why) > 40
    codes = pair(lesson)
    left, right = codes[:, :WIDE].astype(int), codes[:, -WIDE:].astype(int)
    assert codes.shape[0] == HIGH and right.std() > 1
    if check not in LOOKS_ALIKE:
        assert (np.abs(left - right).max(axis=2) > 16).mean() > 0.002
    page = Path("docs/findings.md").read_text(encoding="utf-8")
    assert text(found.message, lesson) in page
    kept = read_picture(Path("docs/findings") / f"{check}.png").values[..., :3] * 255
    assert (np.abs(kept - codes) < 1).all()


TOURED = ("porthole", "mote", "bubble_black", "plume", "pane_left", "pane_right", "bubbles_sheet")
"""What the tour goes to, and what its order is told of."""


def test_the_page_of_a_finding_is_opened_from_the_tray_and_by_its_key(window, small_demo, monkeypatch):
    monkeypatch.setattr("mivex.demo.PROJECT", small_demo("bubble_black", "mote"))
    window.open_demo()
    wait_until_idle(window)
    row = next(i for i, f in enumerate(window.tray.found) if f.id == "matte")
    window.tray.list.setCurrentRow(row)
    wait_until_idle(window)
    assert window.tray.learn.isVisible()
    window.tray.learn.click()
    wait_until_idle(window)
    sheet = window.lesson
    assert sheet.title.text() == CHECKS["matte"].title and "backdrop" in sheet.said.text()
    assert [p.pixmap().width() for p in sheet.pictures] == [WIDE, WIDE]
    sheet.show_lesson("depth-fight")
    wait_until_idle(window)
    assert sheet.title.text() == CHECKS["depth-fight"].title and sheet.why.text() == lessons()["depth-fight"].why
    sheet.close()
    window.teach()
    wait_until_idle(window)
    assert window.lesson.title.text() == CHECKS["matte"].title
    window.lesson.close()


def test_the_tour_goes_round_the_demo_and_can_be_left_at_any_time(window, small_demo, monkeypatch):
    path = small_demo(*TOURED)
    for place in ("mivex.demo", "mivex.ui.shell.window"):
        monkeypatch.setattr(f"{place}.PROJECT", path)
    window.controls.tour_wanted.emit()
    wait_until_idle(window)
    tour = window.tour
    assert window.session.path == path and tour.title.text() == STOPS[0].title and not tour.back.isEnabled()
    before = window.session.doc
    for k, stop in enumerate(STOPS):
        wait_until_idle(window)
        part = stop.at(window)
        box = QRect(part.mapTo(window, QPoint(0, 0)), part.size())
        assert tour.title.text() == stop.title and tour.count.text() == f"{k + 1} of {len(STOPS)}"
        # All of it is in sight, and what it tells of is not behind it (a stage alone leaves no room beside it).
        assert window.rect().contains(tour.geometry()) and tour.frame.geometry() == box
        assert not box.intersects(tour.geometry()) or box.width() > window.width() / 2
        assert tour.words.height() >= tour.words.heightForWidth(tour.words.width())
        QTest.keyClick(tour.next, Qt.Key.Key_Space)
    assert window.tour is None and window.session.doc == before and window.session.saved and not window.desk.playing
    window.toggle_tour()
    wait_until_idle(window)
    window.tour.next.click()
    QTest.keyClick(window.tour.next, Qt.Key.Key_Escape)
    assert window.tour is None and window.session.saved

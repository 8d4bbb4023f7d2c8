"""The station Deliver in the real window: channels into files, what was read back, the intake and its switches."""

from PySide6.QtCore import QPointF, Qt
from PySide6.QtGui import QMouseEvent
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication

from mivex.ui.proofs.flow_picture import Spot
from mivex.ui.shell.app import wait_until_idle


def act(menu, *words):
    """Choose an entry of a menu by its words, down its sub-menus."""
    for k, w in enumerate(words):
        found = next(a for a in menu.actions() if a.text().strip() == w)
        if k + 1 == len(words):
            assert found.isEnabled()
            found.trigger()
        else:
            menu = found.menu()


def test_channels_flow_into_files_and_what_left_is_taken_in(window, small_demo, tmp_path):
    window.session.open(small_demo("porthole", "mote", "pane_left"))
    wait_until_idle(window)
    s, flow = window.session, window.outgoing.flow
    s.choose("porthole")
    window.go("deliver")
    wait_until_idle(window)
    assert window.left.currentWidget() is window.outgoing and window.outgoing.page == "files"
    assert flow.recipe.name == "Scene, everything" and "Roughness" in [w.capitalize() for w in flow.sources()]
    # A channel is clicked, and fed from somewhere else: the stock recipe becomes the project's own.
    box = flow.boxes()[Spot(1, "green")]
    over = QMouseEvent(
        QMouseEvent.Type.MouseMove,
        box.center(),
        flow.mapToGlobal(box.center()),
        Qt.MouseButton.NoButton,
        Qt.MouseButton.NoButton,
        Qt.KeyboardModifier.NoModifier,
    )
    QApplication.sendEvent(flow, over)
    assert flow.spot == Spot(1, "green")
    act(flow.menu(flow.spot), "Inverted")
    assert s.doc.deliveries[0].files[1].channels["green"].invert and s.overlay.delivery.recipe == s.doc.deliveries[0].name
    act(flow.menu(Spot(1, "blue")), "A number", "0.5")
    act(flow.menu(Spot(1)), "File", "TIFF")
    act(flow.menu(Spot(1)), "With alpha")
    act(flow.menu(Spot(0)), "Alpha for", "Sums of display values")
    assert s.doc.deliveries[0].files[0].alpha_for == "display"
    s.undo()
    assert (s.doc.deliveries[0].files[1].format, len(s.doc.deliveries[0].files[1].lanes)) == ("tif", 4)
    act(flow.menu(Spot(-1)), "One channel")
    count = len(s.doc.deliveries[0].files)
    act(flow.menu(Spot(count - 1)), "Remove the file")
    assert len(s.doc.deliveries[0].files) == count - 1
    for _ in range(6):
        s.undo()
    assert not s.doc.deliveries and s.overlay.delivery.recipe == "scene"
    flow.setFocus()
    flow.spot = None
    QTest.keyClick(flow, Qt.Key.Key_Down)
    QTest.keyClick(flow, Qt.Key.Key_Down)
    assert flow.spot == Spot(0, "red")
    act(flow.menu(Spot(4)), "Remove the file")
    window.deliver(str(tmp_path / "out"), False)
    wait_until_idle(window)
    assert window.outgoing.page == "back" and "read back" in window.outgoing.said.text()
    table = window.outgoing.table
    heads = [k for k in range(table.rowCount()) if table.columnSpan(k, 0) == table.columnCount()]
    assert table.rowCount() == 10 + len(heads) and {
        table.item(k, 4).text() for k in range(table.rowCount()) if k not in heads
    } == {"0"}
    files = {c.file for c in table._rows}
    assert {table.item(k, 0).text() for k in heads} == files and len(heads) == len(files)  # whole, however long
    assert (tmp_path / "out" / "Porthole_pane.glb").is_file() and (tmp_path / "out" / "proof.html").is_file()
    window.outgoing.show_page("intake")
    window._follow_intake()
    wait_until_idle(window)
    ship, view = window.shipping, window.outgoing.intake
    assert ship.codes is not None and ship.off.figures["within"] > 0.999 and "of the stage" in view.figures.text()
    picture = view.picture
    assert picture.image().width() == picture.width()
    before = ship.codes.copy()
    view.boxes["opaque"].setChecked(True)
    wait_until_idle(window)
    assert ship.switches == {"opaque"} and ship.off.figures["within"] < 0.999 and (ship.codes != before).any()
    view.show_as("difference")
    assert picture.image().pixelColor(QPointF(2, 2).toPoint()).lightness() < 20
    view.boxes["opaque"].setChecked(False)
    view.all.click()
    wait_until_idle(window)
    assert view.table.rowCount() == 1 and view.table.item(0, 7).text().endswith("!")
    # The next one is a delivery from disk; a folder that is none is told in a sentence.
    window.take_in(str(tmp_path))
    wait_until_idle(window)
    assert "no delivery" in ship.problem and ship.codes is None
    window.take_in(str(tmp_path / "out"))
    wait_until_idle(window)
    assert ship.codes is not None and not ship.problem

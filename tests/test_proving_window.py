"""The stage that proves, in the real window: ledger, looks, adviser, what-if, and findings of the scene."""

import drive
import numpy as np
from PySide6.QtCore import QPoint, Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QPushButton

from mivex.core.material.material import Material
from mivex.core.picture.encode import write_picture
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.file import write_project
from mivex.core.scene.draw_calls import draw_list
from mivex.core.stage.camera import Camera
from mivex.core.stage.ledger import account_of
from mivex.core.stage.placements_model import PanelPlace
from mivex.ui.fields.number import NumberField
from mivex.ui.proofs.ledger import HEAD, ROW
from mivex.ui.shell.app import wait_until_idle
from mivex.ui.shell.whatif_sheet import CELL, GAP, LEFT, TOP


def opened(window, tmp_path, *materials):
    """Panes one behind another before the dock, the first the nearest."""
    rows = []
    for k, m in enumerate(materials):
        write_picture(tmp_path / f"{k}.png", np.tile(np.float32([0.9 - 0.3 * k, 0.2 + 0.3 * k, 0.3, 0.6]), (8, 8, 1)), 8)
        rows.append(
            Overlay(
                id=f"o{k}",
                name=f"Pane {k}",
                kind="glass",
                source=Source(path=f"{k}.png"),
                material=Material(lit=False, **m),
                places=(PanelPlace(id=f"p{k}", at=(0.1 * k, 1.2, 1.5 - 0.5 * k), width=1.2, height=1.0),),
            )
        )
    camera = Camera(name="Front", target=(0.0, 1.2, 1.0), distance=3.0)
    write_project(tmp_path / "p.mivex", Document(overlays=tuple(rows), cameras=(camera,)))
    window.session.open(tmp_path / "p.mivex")
    window.stage.canvas.look(camera)
    wait_until_idle(window)
    return window.session, window.stage.canvas


def middle(stage):
    return QPoint(stage.width() // 2, stage.height() // 2)


def line(table, k, x=60):
    return QPoint(x, HEAD + k * ROW + ROW // 2)


def test_a_pixel_is_pointed_at_pinned_changed_and_compared(window, tmp_path):
    s, stage = opened(window, tmp_path, {"nudge": -1}, {})
    page = window.tray.ledger
    QTest.keyClick(window, Qt.Key.Key_F2, Qt.KeyboardModifier.ShiftModifier)
    wait_until_idle(window)
    assert window.tray.page == "ledger" and page.isVisible()
    drive.hover(stage, middle(stage))
    wait_until_idle(window)
    at = middle(stage)
    draws = draw_list(s.doc, window.engine.stage_textures(), stage.view)
    want = account_of(draws, stage.view, at.x(), at.y(), s.doc.lighting)
    assert page.account == want and [r.name for r in want.set if r.owner] == ["Pane 0", "Pane 1"]
    assert [r.name for r in page.exact.lines if r.owner] == ["Pane 1", "Pane 0"] and len(want.elsewhere) == 2
    assert "differs by" in page.where.text()
    # The ledger's end is the picture's pixel.
    shown = stage.image.pixelColor(at)
    end = page.set.lines[-1].after
    from mivex.ui.proofs.ledger import shade

    assert max(abs(shown.red() - shade(end).red()), abs(shown.green() - shade(end).green())) <= 1
    # Pinned: it stays while a setting changes and the pointer wanders.
    drive.click(page.pin)
    drive.hover(stage, at + QPoint(150, 60))
    wait_until_idle(window)
    s.apply(
        "Nudge",
        lambda d: d.model_copy(
            update={
                "overlays": tuple(
                    o.model_copy(update={"material": o.material.model_copy(update={"nudge": 0})}) for o in d.overlays
                )
            }
        ),
    )
    wait_until_idle(window)
    assert page.account.pixel == want.pixel and not page.account.elsewhere and stage.pinned is not None
    # A line chooses its overlay; its number switches it off, and again on.
    own = next(i for i, r in enumerate(page.set.lines) if r.owner == "o1")
    drive.click(page.set, line(page.set, own))
    assert s.overlay_id == "o1" and s.place_id == "p1"
    drive.hover(page.set, line(page.set, own, 80))
    assert stage.lit == "o1"
    drive.click(page.set, line(page.set, own, 10))
    wait_until_idle(window)
    assert all(r.owner != "o1" for r in page.set.lines) and page.set.gone == (("Pane 1", "o1", "1"),)
    drive.click(page.set, line(page.set, len(page.set.lines), 10))
    wait_until_idle(window)
    assert any(r.owner == "o1" for r in page.set.lines) and not page.off
    # Another pixel beside it.
    drive.click(page.both)
    drive.hover(stage, QPoint(12, 12))
    wait_until_idle(window)
    assert (
        page.other.pixel == (12, 12)
        and all(not r.owner for r in page.exact.lines)
        and "right: pixel 12, 12" in page.where.text()
    )
    QTest.keyClick(window, "y")
    wait_until_idle(window)
    assert stage.pinned is None and not page.compare


def test_looks_have_scales_and_the_adviser_mends_the_order(window, tmp_path):
    s, stage = opened(window, tmp_path, {"nudge": -1}, {}, {"nudge": 2})
    before = stage.image.copy()
    QTest.keyClick(window, "n")
    wait_until_idle(window)
    assert (
        window.stage.looks.currentText() == "Order map" and stage.found.name == "order" and stage.found.figures["max"] > 10
    )
    assert stage.image.pixelColor(middle(stage)).red() > 40 > stage.image.pixelColor(QPoint(5, 5)).red()
    for look in ("overdraw", "depth", "normals", "mip", "alpha"):
        window.stage.see_as(look)
        wait_until_idle(window)
        assert stage.found.name == look and stage.image is not None and stage.image != before
    window.stage.see_as("colour")
    wait_until_idle(window)
    assert stage.image == before
    assert {f.id for f in window.tray.found} >= {"order"}
    window.tray.show_page("order")
    page = window.tray.order
    drive.click(page.go)
    wait_until_idle(window)
    assert page.found.before > 1 > page.found.after and page.take.isVisible() and "Pane 0" in page.words.text()
    drive.click(page.take)
    wait_until_idle(window)
    assert s.doc is page.found.doc and not page.take.isVisible() and s.undo_label == "Set the drawing order"
    assert "order" not in {f.id for f in window.tray.found}
    # The ring turns the camera.
    yaw = stage.camera.yaw
    drive.click(page.ring, QPoint(page.ring.width() - 12, page.ring.height() // 2))
    assert abs(stage.camera.yaw - 90) < 12 and stage.camera.yaw != yaw
    s.undo()
    assert [o.material.nudge for o in s.doc.overlays] == [-1, 0, 2]


def test_a_conflict_is_shown_and_a_remedy_tried_from_its_links(window, tmp_path):
    s, stage = opened(window, tmp_path, {}, {})
    rows = [
        o.places[0].model_copy(update={"at": (0.0, 1.2, 1.0), "yaw": yaw})
        for o, yaw in zip(s.doc.overlays, (35, -35), strict=True)
    ]
    for o, place in zip(s.doc.overlays, rows, strict=True):
        s.apply(
            "Cross",
            lambda d, o=o, place=place: d.model_copy(
                update={
                    "overlays": tuple(x.model_copy(update={"places": (place,)}) if x.id == o.id else x for x in d.overlays)
                }
            ),
        )
    wait_until_idle(window)
    window.tray.show_page("order")
    page = window.tray.order
    drive.click(page.go)
    wait_until_idle(window)
    (conflict,) = page.found.unsettled
    assert set(conflict.overlays) == {"o0", "o1"} and conflict.remedies and "show 0" in page.words.text()
    stage.look(conflict.camera.model_copy(update={"yaw": conflict.camera.yaw + 90}))
    page.words.linkActivated.emit("show 0")
    wait_until_idle(window)
    assert stage.camera == conflict.camera and stage.marked == conflict.at
    before, best = s.doc, conflict.remedies[0]
    page.words.linkActivated.emit("try 0 0")
    wait_until_idle(window)
    changed = [o.id for o, was in zip(s.doc.overlays, before.overlays, strict=True) if o != was]
    assert best.overlay in changed and s.undo_label.startswith("Try ") and best.gain > 0
    # Two that cut through each other: one is split, and its parts can be moved, made whole and split by hand.
    assert best.name.startswith("split") and len(s.doc.overlay(best.overlay).places) == 2
    s.undo()
    assert s.doc == before
    s.choose("o0")
    window.go("place")
    wait_until_idle(window)
    drive.click(next(b for b in window.controls.findChildren(QPushButton) if b.text() == "Split in two"))
    wait_until_idle(window)
    parts = s.doc.overlay("o0").places
    assert len(parts) == 2 and [len(p.cuts) for p in parts] == [1, 1]
    field = next(f for f in window.controls.findChildren(NumberField) if f.name == "Cut distance")
    field.edited.emit(0.1)
    wait_until_idle(window)
    assert s.doc.overlay("o0").places[0].cuts[0].at == 0.1
    drive.click(next(b for b in window.controls.findChildren(QPushButton) if b.text() == "Make it whole"))
    wait_until_idle(window)
    assert s.doc.overlay("o0").places[0].cuts == ()


def test_seven_blends_side_by_side_and_a_scene_finding_is_mended(window, tmp_path):
    s, stage = opened(window, tmp_path, {"depth_write": True, "nudge": -1}, {})
    s.choose("o0")
    window.what_if()
    wait_until_idle(window)
    sheet = window.sheet.sheet
    assert [t.blend for t in sheet.rows][:2] == ["Solid", "Cutout"] and sheet.now == "Translucent"
    costs = {t.blend: t.cost for t in sheet.rows}
    assert costs["Translucent"].sorts and not costs["Additive"].sorts and not costs["Cutout"].reads_frame
    assert next(t for t in sheet.rows if t.blend == "Translucent").differs == 0
    assert min(t.differs for t in sheet.rows if t.blend != "Translucent") > 1
    drive.click(sheet, QPoint(LEFT + 5 * (CELL + GAP) + 20, TOP + 30))
    wait_until_idle(window)
    assert s.doc.overlay("o0").material.blend == "Additive" and s.undo_label == "Take Additive"
    s.undo()
    wait_until_idle(window)
    row = next(i for i, f in enumerate(window.tray.found) if f.id == "hidden")
    window.tray.show_page("findings")
    window.tray.list.setCurrentRow(row)
    wait_until_idle(window)
    assert stage.marked is not None and stage.camera.name == "Front"
    drive.click(window.tray.repair)
    wait_until_idle(window)
    assert not s.doc.overlay("o0").material.depth_write and "hidden" not in {f.id for f in window.tray.found}

"""Sheets and motion in the real window: found, repaired, begun, edited in the chart, scrubbed, undone, fired, built."""

from itertools import pairwise

import drive
import numpy as np
import pytest
import sheets
from PySide6.QtCore import QPoint, QPointF, Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QPushButton

from mivex.core.motion.curves import Curve
from mivex.core.motion.starters import STARTERS
from mivex.core.picture.encode import write_picture
from mivex.core.project import edits
from mivex.core.project.document import Document
from mivex.core.project.file import dumps
from mivex.core.sheet.bleed import cell_texels
from mivex.core.sheet.build import Layout
from mivex.ui.proofs.life_picture import Grip
from mivex.ui.shell.app import wait_until_idle
from mivex.ui.stations import motion_acts as acts
from mivex.ui.tools.lanes import BY_KEY, span_of


def press(window, words):
    next(b for b in window.controls.findChildren(QPushButton) if b.text() == words and b.isVisible()).click()
    wait_until_idle(window)


def with_sheet(window, folder):
    write_picture(folder / "puffs.png", sheets.sheet(7, sheets.puff, 4, 4, 64, 64, wide=1.6, count=15), 8)
    window.add_pictures([str(folder / "puffs.png")])
    wait_until_idle(window)
    window.go("sheet")
    wait_until_idle(window)
    press(window, "Find the frames")


def test_frames_are_found_mended_fitted_by_hand_and_played(window, tmp_path):
    with_sheet(window, tmp_path)
    s, flat = window.session, window.flat.canvas
    g = s.overlay.sheet.grids[0]
    assert (g.columns, g.rows, g.count) == (4, 4, 15) and len(flat.cells.cells) == 15 and s.undo_label == "Find the frames"
    border = next(f for f in window.engine.all_findings() if f.id == "sheet-border")
    window.tray.list.setCurrentRow(window.tray.found.index(border))
    window.tray.repair.click()
    wait_until_idle(window)
    t = window.engine.get(s.overlay_id).texture
    for cell in t.traits.cells:
        left, top, right, low = cell_texels(cell, t.width, t.height)
        assert t.values[top:low, left, 3].max() == 0 and t.values[low - 1, left:right, 3].max() == 0
    assert not [f for f in window.engine.all_findings() if f.id == "sheet-border"]
    window.go("sheet")
    wait_until_idle(window)
    # The first cell is made smaller with the mouse; the cells follow. Undo brings them back.
    window.arrange("flat")
    wait_until_idle(window)
    w, h = flat.on_screen

    def at(x, y):
        return QPoint(round(flat.corner[0] + x * w), round(flat.corner[1] + y * h))

    drive.drag(flat, at(0.25, 0.25), at(0.2, 0.2))
    wait_until_idle(window)
    g = s.overlay.sheet.grids[0]
    assert abs(g.width - 0.2 * 256) <= 2 and s.undo_label == "Fit the grid"
    s.undo()
    wait_until_idle(window)
    drive.field(window, "Outline").edited.emit(6)
    wait_until_idle(window)
    assert s.overlay.sheet.hull == 6 and flat.cells.hulls is not None and len(flat.cells.hulls) == 15
    # The player goes on by one frame, and the flat proof marks it.
    from mivex.ui.fields.player import FramePlayer

    player = window.controls.findChildren(FramePlayer)[0]
    player.go(1)
    assert player.frame[0] == 1 and flat.frame_now == 1 and len(player.pictures()) == 1
    player.over.click()
    assert len(player.pictures()) == 3


def test_an_effect_is_begun_edited_in_its_chart_scrubbed_and_undone(window, tmp_path):
    with_sheet(window, tmp_path)
    s, desk, chart = window.session, window.desk, window.chart
    window.go("motion")
    wait_until_idle(window)
    assert window.tray.page == "clock" and window.left.currentWidget() is chart
    acts.begin(window.controls, s.overlay_id, "plume")
    desk.play(False)
    desk.go_to(1.5)
    wait_until_idle(window)
    effect = s.doc.effects[0]
    assert effect.name == STARTERS["plume"].title and desk.picked is not None
    # It has run for long: as many are there as are born in a mean life, give or take the spread of lives.
    part = effect.parts[0]
    low, high = (part.emission.rate * life for life in part.birth.life)
    assert low <= desk.count <= high
    before = window.stage.canvas.image.copy()
    desk.go_to(0.75)
    wait_until_idle(window)
    assert window.stage.canvas.image != before
    desk.go_to(1.5)
    wait_until_idle(window)
    assert window.stage.canvas.image == before  # scrubbed there and back, it is the same picture
    # A point of the lane is dragged, one is added and taken away again.
    boxes = chart.lane_boxes()
    lane, curve = BY_KEY["size"], effect.parts[0].life.size
    span = span_of(lane, curve)
    spot = chart.spot(boxes["size"], span, *curve.points[1]).toPoint()
    drive.drag(chart, spot, spot + QPoint(0, 30))
    wait_until_idle(window)
    now = s.doc.effects[0].parts[0].life.size
    assert now.points[1][1] < curve.points[1][1] - 0.2 and now.points[0] == curve.points[0]
    assert s.undo_label == "Change size"
    middle = chart.spot(chart.lane_boxes()["size"], span_of(lane, now), 0.5, 0.4).toPoint()
    QTest.mouseDClick(chart, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier, middle)
    wait_until_idle(window)
    added = s.doc.effects[0].parts[0].life.size
    assert len(added.points) == 3 and abs(added.points[1][0] - 0.5) < 0.02
    QTest.mouseClick(chart, Qt.MouseButton.RightButton, Qt.KeyboardModifier.NoModifier, middle)
    wait_until_idle(window)
    assert len(s.doc.effects[0].parts[0].life.size.points) == 2
    for _ in range(3):
        s.undo()
    assert s.doc.effects[0] == effect
    # The spread at birth is dragged; a lane is added by its name and taken away.
    band = chart.band_box(chart.lane_boxes()["size"])
    low = s.doc.effects[0].parts[0].birth.width[0]
    y = chart.spot(band, (0.01, 2.0), 0, low).y()
    drive.drag(chart, QPointF(band.center().x(), y + 2).toPoint(), QPointF(band.center().x(), y - 20).toPoint())
    wait_until_idle(window)
    assert s.doc.effects[0].parts[0].birth.width[0] > low
    chart.add_lane("spin")
    wait_until_idle(window)
    assert isinstance(s.doc.effects[0].parts[0].life.spin, Curve) and desk.lane == "spin" and "spin" in chart.lane_boxes()
    drive.field(window, "Point 1").bars[1].put(0.25)
    wait_until_idle(window)
    assert s.doc.effects[0].parts[0].life.spin.points[0][1] == pytest.approx(0.25)
    acts.put_lane(window.controls, None)
    wait_until_idle(window)
    assert "spin" not in chart.lane_boxes()
    # Keys: the next point, and away with it.
    chart.setFocus()
    desk.choose_lane("opacity")
    chart.point = 1
    QTest.keyClick(chart, Qt.Key.Key_Delete)
    assert len(s.doc.effects[0].parts[0].life.opacity.points) == 3
    # The clock is dragged; its line shows one particle's life.
    line = window.tray.clock.line
    QTest.mouseClick(line, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier, QPoint(line.width() // 2, 20))
    assert abs(desk.time - 3.0) < 0.1
    desk.step(1)
    assert abs(desk.time * 60 - round(desk.time * 60)) < 1e-6


def test_parts_are_seen_alone_copied_fired_and_made_fewer(window, tmp_path):
    with_sheet(window, tmp_path)
    s, desk = window.session, window.desk
    acts.begin(window.controls, s.overlay_id, "plume")
    desk.play(False)
    window.go("motion")
    acts.add_part(window.controls, s.overlay_id)
    wait_until_idle(window)
    effect = s.doc.effects[0]
    assert len(effect.parts) == 2 and desk.part == 1
    desk.see_alone(1)
    assert [p.muted for p in desk.shown(s.doc).effects[0].parts] == [True, False] and s.doc.effects[0] == effect
    desk.see_alone(1)
    assert desk.shown(s.doc) is s.doc
    s.apply("Open", lambda d: edits.set_effect(d, effect.id, opened=("size",)))
    acts.copy(window.controls)
    wait_until_idle(window)
    twin = s.doc.effects[1]
    assert twin.copy_of == effect.id and desk.effect_id == twin.id and desk.group == "effect"
    drive.field(window, "Size").bar.put(2.0)
    wait_until_idle(window)
    assert s.doc.effects[1].dials.size == 2.0 and s.doc.effects[0].dials.size == 1.0
    # Fired where a click meets the dock, turned to its surface; gone when its last particle has died.
    acts.begin(window.controls, s.overlay_id, "burst")
    desk.play(False)
    desk.go_to(1.0)
    window.tray.clock.set_firing(True)
    stage = window.stage.canvas
    QTest.mouseClick(
        stage, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier, QPoint(stage.width() // 2, stage.height() - 40)
    )
    assert len(desk.fired) == 1 and desk.fired[0].pitch == 90 and abs(desk.fired[0].at[1]) < 0.05
    desk.play(False)
    shown = desk.shown(s.doc)
    assert len(shown.effects) == len(s.doc.effects) + 1
    desk.go_to(4.0)
    assert not desk.fired and "is gone" in window.notice.text()
    window.tray.clock.set_firing(False)
    window.fire_ahead()
    desk.play(False)
    assert len(desk.fired) == 1
    window.tray.clock.restart()
    # Fewer, larger: asked, shown, taken, undone.
    desk.choose(effect.id)
    wait_until_idle(window)
    window.ask_fewer()
    wait_until_idle(window)
    assert window.fewer.found is not None and abs(window.fewer.found.after.area / window.fewer.found.before.area - 1) < 0.02
    window.fewer.take.click()
    assert s.doc.effects[0].dials.size > 1 and s.undo_label == "Fewer, larger"
    s.undo()
    assert s.doc.effects[0].dials.size == 1.0
    assert window.chart._under(QPointF(window.chart.run_box().center())) in (Grip("", "run"), Grip("", "burst", 0))


def test_a_sheet_is_built_from_pictures_seeds_and_an_animation(window, tmp_path):
    rng = np.random.default_rng(2)
    paths = []
    for k in range(5):
        write_picture(tmp_path / f"f{k}.png", sheets.leaf(rng, 40, 40, 0).astype(np.float32), 8)
        paths.append(str(tmp_path / f"f{k}.png"))
    s = window.session
    (tmp_path / "p.mivex").write_text(dumps(Document()))
    s.open(tmp_path / "p.mivex")
    window.add_pictures([paths[0]])
    wait_until_idle(window)
    window.make_sheet("pictures", paths, {}, Layout(columns=3, gutter=4))
    wait_until_idle(window)
    o = s.overlay
    assert o.sheet.grids[0].count == 5 and window.controls.station == "sheet"
    t = window.engine.get(o.id).texture
    assert len(t.traits.cells) == 5 and (t.width, t.height) == (3 * 44 + 4, 2 * 44 + 4)
    window.session.choose(s.doc.overlays[0].id)
    window.make_sheet("baked", [], {"count": 6, "wears": True, "seconds": 0.0, "degrees": 0.0}, Layout(columns=6))
    wait_until_idle(window)
    worn = window.engine.get(s.overlay_id).texture
    left = [
        float(worn.values[a[1] : a[3], a[0] : a[2], 3].sum())
        for a in (cell_texels(c, worn.width, worn.height) for c in worn.traits.cells)
    ]
    assert all(a >= b for a, b in pairwise(left)) and left[-1] == 0 and left[0] > 100
    window.session.choose(s.doc.overlays[0].id)
    told = []
    window.jobs.failed.connect(lambda _t, words: told.append(words))
    window.make_sheet("seeds", [], {"count": 3}, Layout())
    wait_until_idle(window)
    assert told and "has a seed" in told[0]

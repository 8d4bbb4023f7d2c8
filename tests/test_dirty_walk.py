"""The tour's pane, dirtied, iced and wiped from nothing by the steps as written; a buoy painted across its seam."""

import itertools
import re
from pathlib import Path

import drive
import numpy as np
from PySide6.QtCore import QPoint, QPointF, Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QPushButton
from test_layers_window import menu_entry, stroke, table_of

from mivex.core.findings import CHECKS
from mivex.core.stage.camera import Camera
from mivex.core.stage.placements_model import MeshPlace
from mivex.ui.shell.app import wait_until_idle


def told(words):
    """All of these stand in the tour, set off as labels."""
    text = re.sub(r"\s+", " ", (Path(__file__).parent.parent / "docs" / "tour.md").read_text("utf-8"))
    for w in words:
        assert f"*{w}*" in text, w
    return words[-1]


def button(window, words):
    """A button of the present station."""
    return next(b for b in window.controls.findChildren(QPushButton) if b.text() == words and b.isVisible())


def add(window, *words):
    """Take an entry of “Add a layer”."""
    told(("Add a layer", *words))
    menu_entry(button(window, "Add a layer").menu(), *words).trigger()
    wait_until_idle(window)


def column(values, x, y, size=40):
    return values[y - size : y + size, x - size : x + size, 3].mean()


def test_a_pane_is_dirtied_iced_and_wiped_from_nothing(window):
    s, c = window.session, window.flat.canvas
    told(("Overlay", "Empty canvas for glass"))
    window.add_canvas("glass")
    wait_until_idle(window)
    assert window.controls.station == "layers" and s.overlay.kind == "glass"
    clear = c.texture.values.copy()

    add(window, "A build", "Dirty porthole")
    dull = c.texture.values.copy()
    drive.field(window, told(("Grime",))).edited.emit(0.6)
    wait_until_idle(window)
    dirty = c.texture.values.copy()
    assert dull[..., 3].mean() > dirty[..., 3].mean() > clear[..., 3].mean()

    add(window, "A build", "Iced pane")
    iced = window.engine.get(s.overlay_id).texture.values.copy()
    assert iced[..., 3].mean() > dirty[..., 3].mean()
    top = s.overlay.layers.rows[-1]
    assert top.name == "Iced pane"

    table = table_of(window)
    QTest.mouseClick(table, Qt.MouseButton.LeftButton, pos=table.cell_box(top.id, "mask").center().toPoint())
    QTest.mouseDClick(table_of(window), Qt.MouseButton.LeftButton, pos=table.cell_box(top.id, "mask").center().toPoint())
    wait_until_idle(window)
    if s.overlay.layers.row(top.id).mask.parts:
        s.undo()  # a double click gives a mask by itself
        s.choose_row(top.id, "mask")
        wait_until_idle(window)
    told(("Mask", "Add a part", "Painted", "Paint here", "Painted value"))
    menu_entry(button(window, "Add a part").menu(), "Painted").trigger()
    wait_until_idle(window)
    button(window, "Paint here").click()
    wait_until_idle(window)
    drive.field(window, "Painted value").edited.emit(0.0)
    s.set_brush(tip=s.brush.tip.model_copy(update={"size": 0.2}), pressure="full")
    wait_until_idle(window)
    before = window.engine.get(s.overlay_id).texture.values.copy()
    z, left, up = c.view.zoom, c.view.left, c.view.top
    points = [QPoint(int(left + (0.1 + 0.05 * k) * 1024 * z), int(up + (0.75 - 0.02 * k) * 1024 * z)) for k in range(17)]
    stroke(c, points)
    wait_until_idle(window)
    assert s.undo_label == "Paint"
    wiped = window.engine.get(s.overlay_id).texture.values
    # In the streak the ice is gone: what is there is the dirty pane again.
    x, y = int(0.2 * 1024), int((0.75 - 0.04) * 1024)
    assert np.abs(wiped[y - 20 : y + 20, x - 20 : x + 20] - dirty[y - 20 : y + 20, x - 20 : x + 20]).mean() < 0.02
    assert np.abs(wiped[40:200] - before[40:200]).max() == 0
    add(window, "Through a pattern", "Droplets")
    drops = s.overlay.layers.rows[-1]
    assert not {"colour", "opacity"} & set(drops.channels) and {"height", "roughness"} <= set(drops.channels)
    found = [CHECKS[f.id].title for f in window.tray.found if s.overlay_id in f.overlays]
    assert not {"Matte left in soft parts", "Alpha is inverted", "Steps in a soft falloff"} & set(found)
    for _ in range(40):
        if s.overlay is None:
            break
        s.undo()
    assert s.overlay is None


def test_a_buoy_is_painted_across_its_seam(window, small_demo):
    window.session.open(small_demo("buoy"))
    wait_until_idle(window)
    s, stage = window.session, window.stage.canvas
    s.choose("buoy")
    window.go("layers")
    wait_until_idle(window)
    told(("Mooring buoy",))
    place = next(p for p in s.overlay.places if isinstance(p, MeshPlace))
    add(window, "To paint on")
    s.set_brush(values={"colour": (0.9, 0.9, 0.1)}, pressure="full", metres=0.06)
    row = s.overlay.layers.rows[-1]
    # Go round it until the seam of its UVs is seen: two places side by side, at opposite sides of the picture.
    seam = None
    for yaw in range(0, 360, 40):
        stage.look(Camera(name="Near", target=tuple(place.at), yaw=float(yaw), pitch=10.0, distance=2.0))
        wait_until_idle(window)
        y = stage.height() // 2
        across = [stage.on_canvas(QPointF(x, y)) for x in range(0, stage.width(), 4)]
        leaps = [
            4 * k
            for k, (a, b) in enumerate(itertools.pairwise(across))
            if a is not None and b is not None and abs(a.x - b.x) > 0.5 and 0.2 < a.y < 0.8
        ]
        if leaps:
            seam = QPoint(leaps[0], y)
            break
    assert seam is not None
    stroke(stage, [seam + QPoint(dx, 0) for dx in range(-32, 33, 4)])
    wait_until_idle(window)
    strokes = s.overlay.layers.row(row.id).strokes
    assert len(strokes) == 1 and len(strokes[0].surface) > 4 and strokes[0].across > 0
    painted = window.engine.get("buoy").texture.values[..., :3]
    yellow = (painted[..., 0] > 0.6) & (painted[..., 1] > 0.6) & (painted[..., 2] < 0.4)
    assert yellow.sum() > 50
    # Both ends of the picture hold it: it went over the seam.
    assert yellow[:, : yellow.shape[1] // 8].any() and yellow[:, -yellow.shape[1] // 8 :].any()

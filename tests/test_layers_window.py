"""Layers in the real window: a stack built, looked at, painted in the proof and on the stage, faces chosen, undone."""

import time

import drive
import numpy as np
import pytest
import trimesh
from PySide6.QtCore import QPoint, QPointF, Qt
from PySide6.QtGui import QImage
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication, QMenu, QPushButton

from mivex.core.layers.builds import build_named
from mivex.core.layers.model import ChannelSource, Group, Layer, Mask, MaskPart
from mivex.core.picture.encode import write_picture
from mivex.core.project import edits, layer_edits
from mivex.core.stage.camera import Camera
from mivex.core.stage.placements_model import MeshPlace, PanelPlace
from mivex.ui.fields.fields import Field
from mivex.ui.fields.stack_table import HEAD, ROW, StackTable
from mivex.ui.shell.app import wait_until_idle


def blank(window, kind="glass", side=256):
    """A new overlay on an empty canvas, chosen, at the station Layers."""
    made = []

    def add(doc):
        doc, key = edits.add_blank(doc, "Pane", kind, (side, side))
        made.append(key)
        return doc

    window.session.apply("Add", add)
    window.session.choose(made[-1])
    window.go("layers")
    wait_until_idle(window)
    return made[-1]


def table_of(window):
    return window.controls.findChild(StackTable)


def menu_entry(menu, *words):
    """An action of a menu by its words, through submenus."""
    menu.aboutToShow.emit()
    action = next(a for a in menu.actions() if a.text() == words[0])
    return action if len(words) == 1 else menu_entry_in(action.menu(), *words[1:])


def menu_entry_in(menu: QMenu, *words):
    action = next(a for a in menu.actions() if a.text() == words[0])
    return action if len(words) == 1 else menu_entry_in(action.menu(), *words[1:])


def stroke(canvas, points, button=Qt.MouseButton.LeftButton):
    """Drag along points as a hand would."""
    none = Qt.KeyboardModifier.NoModifier
    QTest.mousePress(canvas, button, none, points[0])
    for p in points[1:]:
        QTest.mouseMove(canvas, p)
        QTest.qWait(8)
    QTest.mouseRelease(canvas, button, none, points[-1])


def test_a_stack_is_built_with_mouse_and_keys_and_undone(window):
    key = blank(window)
    s = window.session
    add = next(b for b in window.controls.findChildren(QPushButton) if b.text() == "Add a layer")
    menu_entry(add.menu(), "A build", "Scratched pane").trigger()
    wait_until_idle(window)
    add = next(b for b in window.controls.findChildren(QPushButton) if b.text() == "Add a layer" and b.isVisible())
    menu_entry(add.menu(), "Through a pattern", "Stain").trigger()
    wait_until_idle(window)
    table = table_of(window)
    assert [type(r) for r in s.overlay.layers.rows] == [Group, Layer] and len(table.lines) == 3
    top = s.overlay.layers.rows[1]
    assert (s.row_id, s.column) == (top.id, "mask") and (top.id, "mask") in table.pictures
    # A double click touches a channel; the others stay as they are.
    spot = table.cell_box(top.id, "metal").center().toPoint()
    QTest.mouseClick(table, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier, spot)
    QTest.mouseDClick(table_of(window), Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier, spot)
    wait_until_idle(window)
    assert s.overlay.layers.row(top.id).channels == ("colour", "opacity", "roughness", "metal") and s.column == "metal"
    drive.choose(window, "Joins", "Added")
    wait_until_idle(window)
    assert s.overlay.layers.row(top.id).cells["metal"].join == "add"
    # Hovering over a column's head shows that channel alone; leaving it brings the picture back.
    table = table_of(window)
    whole = window.flat.canvas.texture
    drive.hover(table, QPoint(int(table.cell_box(top.id, "roughness").center().x()), HEAD // 2))
    wait_until_idle(window)
    seen = window.flat.canvas.texture
    assert seen is not whole and seen.meaning == "data" and np.array_equal(seen.values[..., 0], seen.values[..., 1])
    table.leaveEvent(None)
    wait_until_idle(window)
    assert window.flat.canvas.texture is whole
    # A row is dragged below the group, switched off by its dot, moved and removed by key.
    table = table_of(window)
    start = QPoint(60, HEAD + ROW // 2)
    drive.drag(table, start, QPoint(60, HEAD + 2 * ROW - 2))
    wait_until_idle(window)
    assert s.overlay.layers.rows[0].id == top.id
    table = table_of(window)
    at = next(i for i, x in enumerate(table.lines) if x.row is not None and x.row.id == top.id)
    drive.click(table, QPoint(8, HEAD + at * ROW + ROW // 2))
    assert not s.overlay.layers.row(top.id).on
    s.choose_row(top.id, "row")
    table_of(window).setFocus()
    QTest.keyClick(table_of(window), Qt.Key.Key_Up, Qt.KeyboardModifier.ControlModifier)
    assert s.overlay.layers.rows[1].id == top.id
    QTest.keyClick(table_of(window), Qt.Key.Key_Delete)
    assert len(s.overlay.layers.rows) == 1
    for _ in range(30):
        if s.overlay is None or not s.overlay.layers.rows:
            break
        s.undo()
    wait_until_idle(window)
    assert s.doc.overlay(key) is not None and not s.doc.overlay(key).layers.rows


def test_painting_in_the_flat_proof_is_live_equal_and_undone_stroke_by_stroke(window):
    key = blank(window, "decal")
    s, c = window.session, window.flat.canvas
    s.apply("Add", lambda d: layer_edits.add_row(d, key, Layer(id="p", name="Paint")))
    s.choose_row("p")
    QTest.keyClick(window, "p")
    wait_until_idle(window)
    assert window.layer_painter.on and window.controls.painting
    tip = s.brush.tip.model_copy(update={"size": 0.2, "form": "hard"})
    s.set_brush(values={"colour": (0.8, 0.2, 0.1), "opacity": 1.0}, tip=tip, pressure="full")
    wait_until_idle(window)
    before, none = c.patches, Qt.KeyboardModifier.NoModifier
    QTest.mousePress(c, Qt.MouseButton.LeftButton, none, QPoint(60, 180))
    for i in range(1, 14):
        QTest.mouseMove(c, QPoint(60 + 8 * i, 180 + 3 * i))
        patches, end = c.patches, time.monotonic() + 60
        while c.patches == patches and i % 4 == 0 and time.monotonic() < end:
            QTest.qWait(8)  # now and then the hand waits until it sees what it paints
    assert c.patches > before + 2  # the button is still held
    live = None if c.image is None else QImage(c.image)
    QTest.mouseRelease(c, Qt.MouseButton.LeftButton, none, QPoint(60 + 8 * 13, 180 + 3 * 13))
    wait_until_idle(window)
    assert s.undo_label == "Paint"
    alpha = s.evaluator.texture(s.overlay, s.doc).alpha
    assert alpha.max() > 0.9 and s.overlay.layers.row("p").channels == ("colour", "opacity")
    assert live is not None
    # The right button clears: what lay below (nothing) comes back.
    stroke(c, [QPoint(60 + 8 * i, 180 + 3 * i) for i in range(14)], Qt.MouseButton.RightButton)
    wait_until_idle(window)
    assert s.undo_label == "Clear paint" and s.evaluator.texture(s.overlay, s.doc).alpha.mean() < alpha.mean() / 50
    s.undo()
    assert np.array_equal(s.evaluator.texture(s.overlay, s.doc).alpha, alpha)
    # A pen's pressure counts, and what is painted on the stage lands where it was pointed at.
    s.apply(
        "Place",
        lambda d: edits.set_fields(d, key, "", places=(PanelPlace(id="x", at=(0.0, 1.2, 2.0), width=1.0, height=1.0),)),
    )
    s.choose_row("p")
    wait_until_idle(window)
    stage = window.stage.canvas
    stage.look(Camera(name="Near", target=(0.0, 1.2, 2.0), yaw=0.0, pitch=0.0, distance=2.2))
    wait_until_idle(window)
    count = len(s.overlay.layers.row("p").strokes)
    middle = QPoint(stage.width() // 2, stage.height() // 2)
    spot = stage.on_canvas(QPointF(middle))
    assert spot is not None and abs(spot[0] - 0.5) < 0.05 and abs(spot[1] - 0.5) < 0.05
    stroke(stage, [middle, middle + QPoint(12, 0), middle + QPoint(24, 0)])
    wait_until_idle(window)
    strokes = s.overlay.layers.row("p").strokes
    assert len(strokes) == count + 1 and abs(strokes[-1].points[0][0] - 0.5) < 0.05
    s.undo()
    assert len(s.overlay.layers.row("p").strokes) == count
    window.go("blend")
    assert not window.layer_painter.on


def test_faces_are_chosen_on_the_proof_and_on_the_stage(window, tmp_path):
    trimesh.creation.box((1, 1, 1)).export(tmp_path / "box.obj")
    key = blank(window, "cloth")
    s = window.session
    s.apply(
        "Place",
        lambda d: edits.set_fields(
            d, key, "", places=(MeshPlace(id="m", path=str(tmp_path / "box.obj"), at=(0.0, 1.0, 2.0)),)
        ),
    )
    part = MaskPart(source="region")
    s.apply(
        "Add",
        lambda d: layer_edits.add_row(
            d, key, Layer(id="r", name="Rust", cells={"metal": ChannelSource(number=1.0)}, mask=Mask(parts=(part,)))
        ),
    )
    s.choose_row("r", "mask")
    wait_until_idle(window)
    faces = next(b for b in window.controls.findChildren(QPushButton) if b.text() == "Faces")
    faces.click()
    wait_until_idle(window)
    c, stage = window.flat.canvas, window.stage.canvas
    assert c.mesh is not None and c.choose_face is not None
    drive.click(c, QPoint(int(c.view.left + 0.3 * 256 * c.view.zoom), int(c.view.top + 0.3 * 256 * c.view.zoom)))
    wait_until_idle(window)
    first = s.overlay.layers.row("r").mask.parts[0].faces
    assert first
    stage.look(Camera(name="Near", target=(0.0, 1.0, 2.0), yaw=0.0, pitch=0.0, distance=3.0))
    wait_until_idle(window)
    middle = QPoint(stage.width() // 2, stage.height() // 2)
    face = stage.face_under(QPointF(middle))
    assert face >= 0
    drive.click(stage, middle)
    wait_until_idle(window)
    assert s.overlay.layers.row("r").mask.parts[0].faces != first
    drive.click(stage, middle)
    assert s.overlay.layers.row("r").mask.parts[0].faces == first
    # A click beside the mesh chooses nothing else; a stroke over a seam goes on in parts, undone as one.
    drive.click(stage, QPoint(6, 6))
    assert (s.overlay_id, s.row_id) == (key, "r")
    next(b for b in window.controls.findChildren(QPushButton) if b.text() == "Grow").click()
    wait_until_idle(window)
    assert len(s.overlay.layers.row("r").mask.parts[0].faces) > len(first)


def test_a_reference_is_pinned_missing_pictures_are_shown_and_texels_explained(window, tmp_path):
    key = blank(window)
    s = window.session
    write_picture(tmp_path / "ref.png", np.full((64, 64, 4), 0.3, np.float32), 8)
    window.flat.pin(str(tmp_path / "ref.png"))
    wait_until_idle(window)
    c = window.flat.canvas
    assert c.compare and c.before is not None and abs(float(c.before.values[0, 0, 0]) - 0.3) < 0.01
    window.flat.pin("")
    wait_until_idle(window)
    assert not c.compare and not s.overlay.reference
    s.apply(
        "Add",
        lambda d: layer_edits.add_row(
            d,
            key,
            Layer(
                id="l",
                name="Lost",
                cells={"colour": ChannelSource(source="picture", path="none.png"), "roughness": ChannelSource(number=0.9)},
            ),
        ),
    )
    s.choose_row("l", "colour")
    wait_until_idle(window)
    t = window.engine.get(key).texture
    assert t is not None and "none.png" in t.notes[0] and ("l", "colour") in table_of(window).missing
    assert abs(float(t.channels["roughness"].values[0, 0, 1]) - 0.9) < 0.01  # the rest of the layer works
    c.rested.emit(0.5, 0.5)
    wait_until_idle(window)
    words = window.controls.hint.words.text()
    assert "Lost: roughness 0.90" in words and "the base: colour" in words
    QApplication.processEvents()


@pytest.mark.parametrize("size", [(1, 1), (3, 700), (4096, 8)])
def test_odd_canvases_do_not_break_the_station(window, size):
    def add(doc):
        doc, key = edits.add_blank(doc, "Odd", "cloth", size)
        return layer_edits.add_build(doc, key, build_named("Torn cloth"))[0]

    window.session.apply("Add", add)
    window.session.choose(window.session.doc.overlays[-1].id)
    window.go("layers")
    wait_until_idle(window)
    r = window.engine.get(window.session.overlay_id)
    assert r.texture is not None and not r.problem and (r.texture.width, r.texture.height) == size


def test_a_pens_pressure_counts(window):
    from PySide6.QtCore import QEvent
    from PySide6.QtGui import QPointingDevice, QTabletEvent

    key = blank(window, "decal")
    s, c = window.session, window.flat.canvas
    s.apply("Add", lambda d: layer_edits.add_row(d, key, Layer(id="p", name="Paint")))
    s.choose_row("p")
    window.paint()
    s.set_brush(values={"opacity": 1.0})
    wait_until_idle(window)
    none, device = Qt.KeyboardModifier.NoModifier, QPointingDevice.primaryPointingDevice()
    for x, pressure in ((80, 0.2), (120, 0.9)):
        at = QPointF(x, 250)
        pen = QTabletEvent(
            QEvent.Type.TabletMove,
            device,
            at,
            c.mapToGlobal(at),
            pressure,
            0,
            0,
            0,
            0,
            0,
            none,
            Qt.MouseButton.LeftButton,
            Qt.MouseButton.LeftButton,
        )
        QApplication.sendEvent(c, pen)
        QTest.mousePress(c, Qt.MouseButton.LeftButton, none, at.toPoint())
        QTest.mouseRelease(c, Qt.MouseButton.LeftButton, none, at.toPoint())
        wait_until_idle(window)
    strokes = s.overlay.layers.row("p").strokes
    assert [round(x.points[0][2], 2) for x in strokes] == [0.2, 0.9]


def test_a_group_is_kept_as_a_build_used_again_and_a_broken_one_is_told(window):
    from mivex.core.layers.builds import user_folder
    from mivex.ui.stations.layer_groups import keep_build

    key = blank(window)
    s = window.session
    s.apply("Add", lambda d: layer_edits.add_build(d, key, build_named("Smeared pane"))[0])
    group = s.overlay.layers.rows[0].id
    keep_build(window.controls, s.overlay, group, "Our smears")
    wait_until_idle(window)
    assert "kept in" in window.notice.text() and (user_folder() / "our-smears.build.json").is_file()
    (user_folder() / "cut.build.json").write_text('{"build": "Cut"')
    other = blank(window)
    add = next(b for b in window.controls.findChildren(QPushButton) if b.text() == "Add a layer")
    menu_entry(add.menu(), "A build", "Our smears").trigger()
    wait_until_idle(window)
    assert s.doc.overlay(other).layers.rows[0].build == "Our smears" and "cut.build.json" in window.notice.text()
    # An open setting is changed; the picture follows.
    before = window.engine.get(other).texture.key
    f = next(f for f in window.controls.findChildren(Field) if "strength" in f.name.lower() and ":" in f.name)
    f.edited.emit(0.1)
    wait_until_idle(window)
    assert window.engine.get(other).texture.key != before


def test_a_stroke_over_a_seam_goes_on_in_parts_and_is_undone_as_one(window, tmp_path):
    # A tube whose picture begins and ends at its front.
    turns = [f"v {np.sin(a):.5f} {y} {np.cos(a):.5f}" for y in (1, -1) for a in np.linspace(0, 2 * np.pi, 33)]
    uvs = [f"vt {k / 32} {v}" for v in (1, 0) for k in range(33)]
    corners = [c for k in range(1, 33) for c in ((k, k + 33, k + 34), (k, k + 34, k + 1))]
    faces = ["f " + " ".join(f"{v}/{v}" for v in c) for c in corners]
    (tmp_path / "tube.obj").write_text("\n".join([*turns, *uvs, *faces]) + "\n")
    key = blank(window, "cloth")
    s, stage = window.session, window.stage.canvas
    place = MeshPlace(id="m", path=str(tmp_path / "tube.obj"), at=(0.0, 1.0, 2.0))
    s.apply("Place", lambda d: edits.set_fields(d, key, "", places=(place,)))
    s.apply("Add", lambda d: layer_edits.add_row(d, key, Layer(id="p", name="Paint")))
    s.choose_row("p")
    window.paint()
    s.set_brush(values={"metal": 1.0}, pressure="full", tip=s.brush.tip.model_copy(update={"size": 0.05}))
    wait_until_idle(window)
    stage.look(Camera(name="Near", target=(0.0, 1.0, 2.0), yaw=0.0, pitch=0.0, distance=3.0))
    wait_until_idle(window)
    middle = QPoint(stage.width() // 2, stage.height() // 2)
    stroke(stage, [middle + QPoint(x, 0) for x in range(-24, 25, 6)])
    wait_until_idle(window)
    # On the surface it is one stroke, in metres, and arrives on both sides of the seam.
    (whole,) = s.overlay.layers.row("p").strokes
    assert not whole.points and len(whole.surface) > 5 and whole.across == pytest.approx(0.08 * 2)
    on = s.evaluator.texture(s.overlay, s.doc).channels["metal"].values[..., 2]
    assert on[:, :12].max() > 0.9 and on[:, -12:].max() > 0.9 and on[:, 100:156].max() == 0
    s.undo()
    assert not s.overlay.layers.row("p").strokes
    # In the picture of its UVs it is drawn in two parts.
    s.set_brush(on_surface=False)
    stroke(stage, [middle + QPoint(x, 0) for x in range(-24, 25, 6)])
    wait_until_idle(window)
    strokes = s.overlay.layers.row("p").strokes
    assert len(strokes) == 2
    sides = sorted(np.mean([p[0] for p in x.points]) for x in strokes)
    assert sides[0] < 0.15 and sides[1] > 0.85
    painted = s.evaluator.texture(s.overlay, s.doc).channels["metal"].values[..., 2]
    assert painted[:, 100:156].max() == 0 and painted.max() > 0.9
    s.undo()
    assert not s.overlay.layers.row("p").strokes
    # A click with an area fills the island.
    s.set_brush(area=True, stay="island")
    drive.click(stage, middle + QPoint(7, 3))
    wait_until_idle(window)
    assert len(s.overlay.layers.row("p").strokes) == 1
    filled = s.evaluator.texture(s.overlay, s.doc).channels["metal"].values[..., 2]
    assert filled.mean() > 0.95

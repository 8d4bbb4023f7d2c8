"""Parts of the window on their own: editors by keyboard, handles, hints, engine; and small parts of the core."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from PySide6.QtCore import QPoint, QPointF, Qt
from PySide6.QtGui import QImage
from PySide6.QtTest import QTest
from sprites import disc, paint, rgba

from mivex.core.base.errors import MivexError
from mivex.core.evaluation.results import Results
from mivex.core.evaluation.targets import Target
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_levels
from mivex.core.picture.picture import Picture
from mivex.core.picture.svg import svg_size
from mivex.core.picture.texture import Texture
from mivex.core.pixels.coverage import coverage, scale_for
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Surface
from mivex.core.prepare.key_colour import key_from_border
from mivex.core.prepare.weighing import premultiplied, premultiply, unpremultiply
from mivex.core.project import edits
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import PROXY_SIDE, Evaluator
from mivex.core.stage.painter import apart
from mivex.ui.fields.editors import CurveEdit, LevelsEdit
from mivex.ui.fields.forms import field_for, shown_keys
from mivex.ui.fields.number import Bar, NumberField
from mivex.ui.fields.ramp import RampEdit
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session
from mivex.ui.shell.app import application
from mivex.ui.shell.busy import PATIENCE, Busy
from mivex.ui.shell.files import power_size
from mivex.ui.tools.handles import Frame, dragged, grip_at, has_handles


@pytest.fixture(autouse=True)
def app():
    return application()


def step(word, /, **values):
    return STEPS[word].params.model_validate({"step": word, **values})


def test_a_curve_can_be_bent_with_the_keyboard_alone():
    edit, seen = CurveEdit(), []
    edit.resize(260, 136)
    edit.changed.connect(seen.append)
    edit.points = ((0.0, 0.0), (0.5, 0.5), (1.0, 1.0))
    QTest.keyClick(edit, Qt.Key.Key_Space)
    QTest.keyClick(edit, Qt.Key.Key_Space)
    QTest.keyClick(edit, Qt.Key.Key_Up)
    assert edit.points[1] == pytest.approx((0.5, 0.51))
    for _ in range(60):
        QTest.keyClick(edit, Qt.Key.Key_Right)
    assert edit.points[1][0] == pytest.approx(0.99)  # never past its neighbour
    QTest.keyClick(edit, Qt.Key.Key_Delete)
    assert edit.points == ((0.0, 0.0), (1.0, 1.0)) and seen
    QTest.keyClick(edit, Qt.Key.Key_Space)
    QTest.keyClick(edit, Qt.Key.Key_Delete)
    assert len(edit.points) == 2  # the ends stay
    # Dragged far out of the frame, a point goes.
    edit.points = ((0.0, 0.0), (0.5, 0.8), (1.0, 1.0))
    at = edit.spot(0.5, 0.8).toPoint()
    QTest.mousePress(edit, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier, at)
    QTest.mouseMove(edit, QPoint(at.x(), -200))
    QTest.mouseRelease(edit, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier, QPoint(at.x(), -200))
    assert len(edit.points) == 2


def test_ramps_and_levels_keep_their_order():
    ramp = RampEdit()
    ramp.resize(260, 58)
    ramp.stops = ((0.0, (0.0, 0.0, 0.0)), (1.0, (1.0, 1.0, 1.0)))
    QTest.mouseClick(ramp, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier, QPoint(130, 45))
    assert len(ramp.stops) == 3 and ramp.stops[1][1] == pytest.approx((0.5, 0.5, 0.5), abs=0.02)  # as it looked there
    QTest.keyClick(ramp, Qt.Key.Key_Delete)
    QTest.keyClick(ramp, Qt.Key.Key_Delete)
    assert len(ramp.stops) == 2  # two are the least
    levels, told = LevelsEdit(), {}
    levels.resize(260, 104)
    levels.changed.connect(lambda k, v: told.update({k: v}))
    for key, by, low, high in (("black", 50, 0.15, 0.3), ("gamma", 30, 0.4, 0.9), ("out_white", -40, 0.75, 0.9)):
        at = levels._spot(key).toPoint()
        QTest.mousePress(levels, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier, at)
        QTest.mouseMove(levels, at + QPoint(by, 0))
        QTest.mouseRelease(levels, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier, at + QPoint(by, 0))
        assert low < told[key] < high, (key, told)
    # The middle handle stands where the output's middle comes from.
    v = levels.values
    t = (levels._handles()["gamma"][0] - v["black"]) / (v["white"] - v["black"])
    assert t ** (1 / v["gamma"]) == pytest.approx(0.5, abs=1e-3)


def test_handles_follow_the_picture_through_trimming_and_give_back_what_was_dragged():
    before = Texture(np.zeros((100, 200, 4), np.float32))
    # Trimmed to the right half: the pivot, once in the middle, is now at its left side.
    after = Texture(np.zeros((100, 100, 4), np.float32), pivot=(0.0, 0.5), extent=(0.5, 1.0))
    frame = Frame.of(before, after, 300.0, 50.0, 2.0)
    assert (frame.left, frame.top, frame.width, frame.height) == (100.0, 50.0, 400.0, 200.0)
    assert frame.share(frame.spot(0.25, -0.3)) == pytest.approx((0.25, -0.3))
    fall = step("fall-off", x=0.1, y=0.0, radius=0.4, stretch=1.5)
    centre = frame.spot(0.1, 0.0)
    assert grip_at(fall, frame, centre) == "move" and grip_at(fall, frame, centre + QPointF(60, 60)) == ""
    assert grip_at(fall, frame, centre + QPointF(0.4 * 1.5 * 200, 0)) == "wide"
    assert grip_at(fall, frame, centre + QPointF(0, 0.4 * 200)) == "high"
    assert dragged(fall, frame, "move", frame.spot(-0.2, 0.3)) == pytest.approx({"x": -0.2, "y": 0.3})
    assert dragged(fall, frame, "high", centre + QPointF(0, 50)) == pytest.approx({"radius": 0.25, "angle": 0.0})
    turned = dragged(fall, frame, "wide", centre + QPointF(100, 100))
    assert turned["angle"] == pytest.approx(45) and turned["stretch"] == pytest.approx(141.4 / 80, abs=0.01)
    text = step("text", size=0.5)
    assert dragged(text, frame, "high", frame.spot(0, 0) + QPointF(0, 80)) == pytest.approx({"size": 0.8})
    assert has_handles(fall) and has_handles(text) and not has_handles(step("levels"))
    assert not has_handles(fall.model_copy(update={"on": False})) and not has_handles(step("add-tint", mask="brush"))


def test_settings_without_effect_are_not_shown_and_every_setting_has_an_editor():
    assert "file" not in shown_keys(step("alpha-from")) and "file" in shown_keys(step("alpha-from", source="file"))
    assert "left" not in shown_keys(step("pad", to="square"))
    assert "stretch" not in shown_keys(step("fall-off", shape="linear"))
    assert "radius" not in shown_keys(step("add-tint", mask="file"))
    assert "strokes" in shown_keys(step("add-tint", mask="brush"))
    for each in STEPS.values():
        params = each.params.model_validate({"step": each.name})
        for key in each.params.model_fields:
            if key in ("step", "on") or (each.name == "pack" and key in ("red", "green", "blue", "alpha")):
                continue
            field = field_for(each.params, key, lambda p=params, k=key: getattr(p, k))
            assert field.name and field.hint and field.name != key


def test_a_bar_takes_typed_numbers_units_and_refuses_words():
    bar = Bar(0, 64, (0, 512), whole=False, unit="px", log=False, default=4)
    bar.resize(120, 24)
    bar.show()
    for text, value in (("12.5", 12.5), ("7 px", 7.0), ("1e9", 512.0), ("−3", 0.0), ("many", 0.0)):
        bar.type_in()
        bar._edit.setText(text)
        QTest.keyClick(bar._edit, Qt.Key.Key_Return)
        assert bar.value == value
    QTest.keyClick(bar, Qt.Key.Key_Home)
    assert bar.value == 4


def test_a_dot_says_that_a_setting_was_changed_and_its_name_brings_the_usual_value():
    held = {"v": 2.0}
    field = NumberField("Width", "How wide.", lambda: held["v"], 2.0, low=0, high=4, hard=(0, 9))
    field.edited.connect(lambda v: held.update(v=v))
    field.show()

    def dotted():
        field.refresh()
        grey = field.label.grab().toImage().convertToFormat(QImage.Format.Format_Grayscale8)
        return max(grey.pixelColor(x, y).red() for x in range(7) for y in range(grey.height())) > 180

    assert not dotted()
    field.bar.put(3.5)
    assert held["v"] == 3.5 and dotted() and field.label.accessibleDescription() == "changed"
    QTest.mouseDClick(field.label, Qt.MouseButton.LeftButton)
    assert held["v"] == 2.0 and not dotted()


def test_results_are_asked_for_without_a_window(tmp_path):
    """One record a target: what is due, what is too late, what goes with its overlay."""
    write_picture(tmp_path / "a.png", np.full((16, 16, 4), 0.5, np.float32))
    o = Overlay(id="o", name="o", source=Source(path="a.png"), steps=(step("invert-alpha"),))
    doc, evaluator, results = Document(overlays=(o,)), Evaluator(tmp_path), Results()
    assert results.follow(doc, str(tmp_path)) == [] and results.get("o").texture is None
    ((target, key),) = results.due()
    got = []
    results.make(doc, evaluator, target, key, got.append, lambda: False, lambda _: None)
    assert len(got) == 1 and got[0].full and results.take(got[0]) and results.due() == []
    ((overlay, known, mark),) = results.unexamined()
    assert results.take_findings(results.examine(evaluator, overlay, known, mark)) and results.unexamined() == []
    assert results.get("o").figures is not None and results.get("o").meaning[0] == "colour"
    # Made for an earlier document: shown, but still due. What is wanted of a step is dropped with its overlay.
    later = edits.set_steps(doc, "o", ())
    results.follow(later, str(tmp_path))
    assert results.take(got[0]) and results.get("o").texture is got[0].texture and len(results.due()) == 1
    results.want(Target("o", 0))
    assert [t for t, _ in results.inputs_due()] == [Target("o", 0)]
    results.follow(Document(), str(tmp_path))
    assert results.get("o").texture is None and not results.inputs_due() and not results.take(got[0])
    # A picture that cannot be read is that target's problem.
    gone = Document(overlays=(o.model_copy(update={"source": Source(path="none.png")}),))
    results.follow(gone, str(tmp_path))
    results.make(gone, evaluator, *results.due()[0], got.append, lambda: False, lambda _: None)
    assert got[-1].texture is None and "none.png" in got[-1].problem


def test_boxes_that_do_not_meet_are_drawn_apart(rng):
    for _ in range(20):
        y, x = np.sort(rng.integers(0, 60, (8, 2)), axis=1), np.sort(rng.integers(0, 60, (8, 2)), axis=1)
        boxes = [(int(a), int(b) + 1, int(c), int(d) + 1) for (a, b), (c, d) in zip(y, x, strict=True)]
        cover = np.zeros((64, 64), int)
        for a, b, c, d in apart(boxes):
            cover[a:b, c:d] += 1
        assert cover.max() == 1
        for a, b, c, d in boxes:
            assert cover[a:b, c:d].min() == 1
    assert apart([(0, 4, 0, 4), (40, 44, 40, 44)]) == [(0, 4, 0, 4), (40, 44, 40, 44)]


def test_the_busy_strip_waits_and_counts():
    busy = Busy()
    busy.set_busy(True)
    busy.set_busy(True)
    assert busy.isHidden() and busy._timer.isActive() and busy._timer.interval() == PATIENCE
    busy._timer.timeout.emit()  # its patience is over
    assert not busy.isHidden()
    busy.set_busy(False)
    assert not busy.isHidden()
    busy.set_busy(False)
    assert busy.isHidden()
    busy.set_busy(False)  # one too many does no harm
    busy.set_busy(True)
    busy.set_busy(False)
    assert busy.isHidden() and not busy._timer.isActive()


def test_a_large_picture_answers_with_a_proxy_first_and_inputs_of_steps_are_kept(tmp_path, monkeypatch):
    side = PROXY_SIDE * 2
    values = np.zeros((side, side, 4), np.float32)
    values[200:800, 200:800] = 0.7
    write_picture(tmp_path / "big.png", values)
    monkeypatch.chdir(tmp_path)
    session = Session()
    engine, sizes = Engine(session), []
    engine.prepared.connect(lambda key: sizes.append(t.width if (t := engine.get(key).texture) is not None else 0))

    def wait():
        quiet = 0
        for _ in range(6000):
            QTest.qWait(10)
            quiet = quiet + 1 if engine.idle else 0  # a result may still be on its way to this thread
            if quiet > 5:
                break

    key = ""

    def add(d):
        nonlocal key
        doc, key = edits.add_overlay(d, "Big", "sprite", "big.png")
        return edits.set_steps(doc, key, (step("levels", gamma=2.0), step("trim", margin=0)))

    session.apply("add", add)
    wait()
    assert sizes == [300, 600] and engine.get(key).texture.full_size == (600, 600)
    assert engine.input_of(key, 1) is None
    wait()
    held = engine.input_of(key, 1)
    assert held is not None and held.width == side and engine.input_of(key, 1) is held
    assert engine.input_of("nobody", 0) is None
    # A change before the step makes it out of date; the old one stands until the new one is there.
    session.apply("set", lambda d: edits.set_step(d, key, 0, gamma=1.0))
    assert engine.input_of(key, 1) is held
    wait()
    assert engine.input_of(key, 1) is not held
    session.workers.end(10)


def test_proxies_of_every_step_show_what_full_size_will(rng):
    """At a quarter of the size, each step gives the picture that its full result shrinks to."""
    n = PROXY_SIDE * 4
    y, x = np.mgrid[:n, :n] / n
    alpha = np.clip((0.36 - np.hypot(y - 0.5, x - 0.47)) / 0.08, 0, 1)
    v = np.dstack([0.2 + 0.6 * x, 0.7 - 0.5 * y, 0.4 + 0.2 * np.sin(9 * x), alpha])
    evaluator, picture = Evaluator(), Picture(v.astype(np.float32))
    lengths = {
        "grow": {"by": 40.0},
        "feather": {"width": 90.0},
        "blur": {"radius": 24.0, "what": "both"},
        "glow": {"radius": 40.0},
        "offset": {"x": 256, "y": 64},
        "fall-off": {"x": 0.1},
        "text": {"size": 0.3},
        "trim": {"margin": 40},
        "signed-distance": {"spread": 40.0},
        "clear-border": {"width": 80.0, "soft": 80.0},
        "centre": {},
        "normal-from-height": {"strength": 6.0, "take": "alpha", "blur": 12.0},
        "noise": {"cells": 5},
    }
    for name, more in lengths.items():
        s = (step(name, **more),)
        full, small = (evaluator.prepare(picture, Source(meaning="colour"), s, 16, proxy=p) for p in (False, True))
        k = full.width / small.width
        assert k == pytest.approx(4, rel=0.02)
        h, w = min(small.height, full.height // 4), min(small.width, full.width // 4)
        seen = full.values[: h * 4, : w * 4].reshape(h, 4, w, 4, 4).mean(axis=(1, 3))
        off = np.abs(seen * seen[..., 3:] - small.values[:h, :w] * small.values[:h, :w, 3:])
        assert off.mean() < 0.012, name


def test_weighing_and_dividing_again_gives_the_picture_back(rng):
    v = rng.random((33, 47, 4)).astype(np.float32)
    v[:5, :, 3] = 0
    for data in (False, True):
        s = Surface(v, data=data)
        back = unpremultiply(premultiply(s.values, s.traits), v, data)
        assert np.abs(back - v).max() < 3e-6 and np.array_equal(back[:5], v[:5])
        assert np.abs(premultiplied(s.values, s.traits)[..., 3] - v[..., 3]).max() == 0
        if data:
            assert np.allclose(premultiplied(s.values, s.traits)[..., :3], v[..., :3] * v[..., 3:])


@settings(max_examples=80, deadline=None)
@given(
    seed=st.integers(0, 10_000),
    n=st.integers(1, 12),
    cutoff=st.floats(0.05, 0.95),
    wanted=st.floats(0, 1),
    coarse=st.booleans(),
)
def test_no_other_factor_keeps_coverage_better(seed, n, cutoff, wanted, coarse):
    a = np.random.default_rng(seed).random((n, n)).astype(np.float32)
    a = np.round(a * 5) / 5 if coarse else a
    k = scale_for(a, cutoff, wanted)
    got = abs(coverage(np.minimum(a * np.float32(k), 1), cutoff) - wanted)
    tries = [cutoff / max(float(t), 1e-6) * f for t in np.unique(a) for f in (0.999, 1.001)] + [0.0, 1.0]
    best = min(abs(coverage(np.minimum(a * np.float32(t), 1), cutoff) - wanted) for t in tries)
    assert got <= best + 1e-6


def test_a_key_is_guessed_from_the_border(rng):
    v = np.full((60, 80, 4), 1, np.float32)
    v[..., :3] = np.array([0.15, 0.55, 0.2]) + rng.normal(0, 0.02, (60, 80, 3))
    v[20:40, 30:50, :3] = 0.9, 0.4, 0.3
    p = key_from_border(v)
    assert p.key == pytest.approx((0.15, 0.55, 0.2), abs=0.01) and 0.05 < p.near < 0.15 and p.despill == 1
    out = STEPS["key-colour"].run(Surface(v), p, None)
    assert (out.alpha[:15] > 0).mean() < 0.01 and out.alpha[25:35, 35:45].min() == 1
    assert key_from_border(np.full((4, 4, 4), 0.5, np.float32)).despill == 0


def test_svg_sizes_and_what_is_no_svg(tmp_path):
    path = tmp_path / "a.svg"
    head = '<svg xmlns="http://www.w3.org/2000/svg" '
    for attributes, size in (
        ('width="30" height="20"/>', (30, 20)),
        ('viewBox="0 0 64 16"/>', (64, 16)),
        ('width="100%" height="100%" viewBox="0 0 8 4"/>', (8, 4)),
        ("/>", (100, 100)),
        ('width="2in" height="1in"/>', (192, 96)),
        ('height="8" viewBox="0 0 64 16"/>', (32, 8)),
    ):
        path.write_text(head + attributes)
        assert svg_size(path) == size
    for text in ("", "<html/>", "<svg", '<!DOCTYPE svg [<!ENTITY a "b">]>' + head + "/>"):
        path.write_text(text)
        with pytest.raises(MivexError, match=r"a\.svg"):
            svg_size(path)
    assert power_size(2.0) == (512, 256) and power_size(0.3) == (128, 512) and power_size(1.0) == (512, 512)


def test_pages_of_a_tiff_that_is_cut_short_are_refused(tmp_path):
    v = rgba(paint(64), disc(64))
    write_picture(tmp_path / "l.tif", v, 16, levels=[v[:32, :32].copy(), v[:16, :16].copy()])
    assert [p.shape for p in read_levels(tmp_path / "l.tif")] == [(64, 64, 4), (32, 32, 4), (16, 16, 4)]
    data = (tmp_path / "l.tif").read_bytes()
    (tmp_path / "cut.tif").write_bytes(data[: len(data) // 3])
    with pytest.raises(MivexError, match=r"cut\.tif"):
        read_levels(tmp_path / "cut.tif")
    with pytest.raises(MivexError, match="no file"):
        read_levels(tmp_path / "gone.tif")


def test_splitting_and_blank_overlays_are_edits_like_any_other():
    doc, key = edits.add_overlay(Document(), "A", "sprite", "a.png")
    split = edits.split_channels(doc, key, ["red", "alpha"])
    assert [o.name for o in split.overlays] == ["A", "A, red", "A, alpha"] and doc.overlays == split.overlays[:1]
    assert all(not o.places and o.material.blend == "Solid" for o in split.overlays[1:])
    assert len({o.id for o in split.overlays}) == 3
    blank, made = edits.add_blank(Document(), "B", "logo", (64, 32))
    o = blank.overlay(made)
    assert isinstance(o, Overlay) and o.source.ready and o.source.canvas == (64, 32)
    with pytest.raises(MivexError, match="no picture"):
        Evaluator().texture(Overlay(name="C"))
    assert Evaluator().texture(o).alpha.max() == 0

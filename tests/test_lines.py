"""Lines through points, patterns that follow them, and text that an overlay's own layers wear."""

import math

import drive
import numpy as np
import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtTest import QTest
from test_layers_window import blank

from mivex.core.layers.model import Base, ChannelSource, Layer, Stack
from mivex.core.layers.painting import stroke_cover
from mivex.core.layers.patterns import PATTERNS
from mivex.core.layers.ribbons import smooth_path, tile_of
from mivex.core.layers.strokes import PaintStroke, Tip
from mivex.core.prepare.drawing import Text, run_text
from mivex.core.project import edits, layer_edits
from mivex.core.project.document import Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.ui.shell.app import wait_until_idle

RAMP = PATTERNS["ramp"].params(kind="ramp")


def covered(stroke, size):
    out = np.zeros(size, np.float32)
    laid = stroke_cover(stroke, size, None)
    if laid is not None:
        (top, low, left, right), cover = laid
        out[top:low, left:right] = cover
    return out


def ribbon(points, smooth=False, mirror=False, wrap=False, **tip):
    whole = Tip(form="pattern", presses="nothing", **tip)
    return PaintStroke(points=tuple((x, y, 1.0) for x, y in points), smooth=smooth, mirror=mirror, wrap=wrap, tip=whole)


def slow_ribbon(stroke, line, size):
    """Texel by texel: the nearest place of the line, how far along and off it, and the tile read there."""
    h, w = size
    at = np.array(line, float)
    steps = np.hypot(*np.diff(at, axis=0).T)
    way = np.concatenate([[0.0], np.cumsum(steps)])
    across = stroke.tip.size * min(h, w)
    tiles = max(1, round(way[-1] / (across * stroke.tip.repeat)))
    tile = tile_of(stroke.tip, across, way[-1] / tiles)
    th, tw = tile.shape
    out = np.zeros(size)
    for y in range(h):
        for x in range(w):
            p, best = np.array([x + 0.5, y + 0.5]), (1e18,)
            for k in range(len(steps)):
                e = (at[k + 1] - at[k]) / steps[k]
                raw = float((p - at[k]) @ e)
                t = min(max(raw, 0.0), steps[k])
                far = float(np.linalg.norm(p - at[k] - e * t))
                side = e[0] * (p - at[k])[1] - e[1] * (p - at[k])[0]
                ahead = max(-raw if k == 0 else 0.0, raw - steps[k] if k == len(steps) - 1 else 0.0, 0.0)
                if far < best[0]:
                    best = far, way[k] + t, side if ahead > 0 else math.copysign(far, side), ahead
            _, along, off, ahead = best
            edge = min(max(across / 2 - abs(off) + 0.5, 0), 1)
            edge *= min(max(0.5 + min(along, way[-1] - along) - ahead, 0), 1)
            if edge <= 0:
                continue
            u, v = along / way[-1] * tiles * tw - 0.5, min(max(off / across + 0.5, 0), 1) * th - 0.5
            v = min(max(v, 0), th - 1)
            i, j = math.floor(u), int(v)
            fu, fv = u - i, v - j
            rows = [tile[min(j + n, th - 1)] for n in (0, 1)]
            a, b = (r[i % tw] * (1 - fu) + r[(i + 1) % tw] * fu for r in rows)
            out[y, x] = (a * (1 - fv) + b * fv) * edge
    return out


@pytest.mark.parametrize("size", [(40, 60), (61, 37)])
@pytest.mark.parametrize("pattern", ["weld", "stripes"])
def test_a_ribbon_equals_its_slow_twin(size, pattern):
    h, w = size
    line = [(0.1, 0.2), (0.55, 0.3), (0.6, 0.8), (0.95, 0.9)]
    stroke = ribbon(line, size=0.3, repeat=1.3, pattern=PATTERNS[pattern].params(kind=pattern))
    got, due = covered(stroke, size), slow_ribbon(stroke, [(x * w, y * h) for x, y in line], size)
    # The box keeps clear of what lies more than a texel off the ribbon, where nothing is due either.
    assert np.abs(got - due).max() < 1e-5 and due.max() > 0.5


def test_a_ribbon_is_the_same_at_every_size_mirrored_and_round_the_side():
    points = [(0.08, 0.3), (0.3, 0.12), (0.5, 0.5), (0.9, 0.35)]
    stroke = ribbon(points, True, size=0.2)
    small, large = covered(stroke, (128, 192)), covered(stroke, (1024, 1536))
    assert np.abs(small - large.reshape(128, 8, 192, 8).mean(axis=(1, 3))).mean() < 0.005
    both = covered(stroke.model_copy(update={"mirror": True}), (128, 192))
    assert np.abs(both - np.maximum(small, small[:, ::-1])).max() < 1e-4
    # Moved by half a canvas and round the side it is the same picture, rolled.
    moved = stroke.model_copy(update={"points": tuple((x + 0.5, y + 0.75, p) for x, y, p in stroke.points), "wrap": True})
    assert np.abs(covered(moved, (128, 192)) - np.roll(small, (96, 96), axis=(0, 1))).max() < 1e-4
    nothing = ribbon([(0.5, 0.5)], True, size=0.2)
    assert covered(nothing, (64, 64)).max() == 0 and covered(ribbon([(0.5, 0.5)] * 4, True, size=0.2), (64, 64)).max() == 0
    assert covered(ribbon([(5, 5), (6, 6)], size=0.2), (64, 64)).max() == 0


def test_what_hangs_begins_at_the_line_and_goes_straight_down():
    drips = PATTERNS["hanging"].params(kind="hanging", form="drips", width=0.2, count=6, length=1.0)
    line = [(0.1, 0.2), (0.5, 0.5), (0.9, 0.2)]
    cover = covered(ribbon(line, size=0.6, lies="hangs", pattern=drips), (400, 400))
    ys, xs = np.nonzero(cover > 0.5)
    x = (xs + 0.5) / 400
    on_line = np.where(x < 0.5, 0.2 + (x - 0.1) * 0.75, 0.5 - (x - 0.5) * 0.75) * 400
    assert (ys + 0.5 > on_line - 1).all() and (ys - on_line).max() > 70 and xs.min() >= 39 and xs.max() <= 361


def test_a_smooth_line_meets_its_points_without_corners_or_loops():
    points = np.array([[0, 0, 1], [10, 0, 1], [10.5, 0.5, 0.4], [30, 20, 1], [30, 20, 1], [60, 5, 1]], float)
    line = smooth_path(points)
    for p in points:
        assert np.abs(line - p).sum(axis=1).min() < 1e-9
    turn = np.diff(np.unwrap(np.arctan2(*np.diff(line[:, :2], axis=0).T[::-1])))
    assert np.abs(turn).max() < 0.5 and np.abs(np.diff(line[:, :2], axis=0)).max() < 3
    # A circle through eight points stays within a hundredth of its radius of being one.
    eight = [(0.5 + 0.3 * math.cos(a), 0.5 + 0.3 * math.sin(a)) for a in np.arange(8) * math.tau / 8]
    area = covered(PaintStroke(points=tuple((x, y, 1.0) for x, y in eight), smooth=True, area=True), (256, 256))
    assert abs(area.sum() / (math.pi * (0.3 * 256) ** 2) - 1) < 0.02
    assert np.array_equal(smooth_path(points[:2]), points[:2])


def test_what_is_drawn_beneath_is_worn_by_the_layers(tmp_path):
    base, evaluator = Base(colour=(0.2, 0.3, 0.4), opacity=0.25), Evaluator(tmp_path)
    hole = Layer(id="r", cells={"opacity": ChannelSource(number=0.0)}, strength=0.5)

    def texture(beneath, rows=(hole,)):
        text = Text(text="NR", size=0.8, colour=(1, 1, 1), beneath=beneath)
        o = Overlay(
            id="o", name="Plate", source=Source(canvas=(192, 128)), layers=Stack(base=base, rows=rows), steps=(text,)
        )
        return evaluator.texture(o).values

    # Without layers it is the same picture; over it a layer that halves the opacity takes the letters along.
    plain = texture(False, ())
    assert np.abs(texture(True, ()) - plain).max() < 1e-6
    worn, over = texture(True), texture(False)
    letters = plain[..., 3] == 1
    assert letters.sum() > 500 and (over[letters][:, 3] == 1).all()
    assert np.abs(worn[letters][:, 3] - 128 / 255).max() < 0.005 and np.abs(worn[letters][:, :3] - 1).max() < 0.005
    # A channel that no layer touches is the drawing's own, bit for bit; changed text is drawn anew.
    rough = Layer(id="r", cells={"roughness": ChannelSource(number=0.1)})
    assert np.array_equal(texture(True, (rough,)), texture(True, ()))
    other = Overlay(
        id="o",
        name="Plate",
        source=Source(canvas=(192, 128)),
        layers=Stack(base=base, rows=(hole,)),
        steps=(Text(text="X", size=0.8, beneath=True),),
    )
    assert not np.array_equal(evaluator.texture(other).values, worn)
    assert run_text(None, Text(text=" "), None) is None


def test_a_line_is_set_point_by_point_moved_shortened_ended_and_undone(window, tmp_path):
    key = blank(window, "decal")
    s, c = window.session, window.flat.canvas
    s.apply("Add", lambda d: layer_edits.add_row(d, key, Layer(id="p", name="Weld")))
    s.choose_row("p")
    QTest.keyClick(window, "p")
    wait_until_idle(window)
    drive.choose(window, "Tip", "A pattern along the line")
    drive.field(window, "Through points").edited.emit(True)
    s.set_brush(values={"height": 0.4, "colour": (0.7, 0.7, 0.7), "opacity": 1.0})
    wait_until_idle(window)
    none, left, right = Qt.KeyboardModifier.NoModifier, Qt.MouseButton.LeftButton, Qt.MouseButton.RightButton
    spots = [QPoint(80, 200), QPoint(200, 120), QPoint(320, 300)]
    for p in spots:
        QTest.mouseClick(c, left, none, p)
    wait_until_idle(window)

    def strokes():
        return s.doc.overlay(key).layers.row("p").strokes

    assert [len(x.points) for x in strokes()] == [3] and strokes()[0].smooth and strokes()[0].tip.form == "pattern"
    assert c.texture.values[..., 3].max() > 0.7
    first = strokes()[0]
    QTest.mousePress(c, left, none, spots[1])
    QTest.mouseMove(c, spots[1] + QPoint(10, -30))
    QTest.mouseMove(c, spots[1] + QPoint(20, -60))
    QTest.mouseRelease(c, left, none, spots[1] + QPoint(20, -60))
    wait_until_idle(window)
    moved = strokes()[0].points
    assert len(strokes()) == 1 and moved[1][1] < first.points[1][1] and moved[0] == first.points[0]
    s.undo()
    assert strokes()[0] == first  # one drag, one step back
    c.setFocus()
    QTest.keyClick(c, Qt.Key.Key_Return)
    QTest.mouseClick(c, left, none, QPoint(150, 330))
    assert [len(x.points) for x in strokes()] == [3, 1]
    QTest.mouseClick(c, right, none, QPoint(150, 330))
    assert [len(x.points) for x in strokes()] == [3]
    QTest.mouseClick(c, right, none, spots[2])
    assert [len(x.points) for x in strokes()] == [2]
    # The line stays when its tip is another; a file that holds it is read back as it was.
    assert edits.revalidated(strokes()[0]) == strokes()[0]
    for _ in range(9):
        if strokes():
            s.undo()
    assert not strokes()

"""Strokes: painting and clearing, tips, sizes, wrap-round, soften and draw out."""

import math

import cv2
import numpy as np
import pytest
from stacks import display, line, linear, stacked, surface

from mivex.core.layers.model import Mask, MaskPart
from mivex.core.layers.painting import painted
from mivex.core.layers.strokes import PaintStroke, Tip
from mivex.core.project import layer_edits
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import read_project, write_project
from mivex.core.project.looking import live_paint


def test_painting_zero_is_not_clearing():
    doc = stacked([{"id": "under", "cells": {"opacity": {"number": 0.6}}}, {"id": "p"}], side=128)
    key = doc.overlays[0].id
    hole = layer_edits.add_stroke(doc, key, "p", line())
    a = surface(hole).alpha
    assert a[64, 64] == 0 and a[20, 64] == np.float32(0.6)
    assert np.array_equal(surface(hole).values[..., :3], surface(doc).values[..., :3])
    # Clearing the stroke brings back what lay below; clearing where nothing was painted changes nothing.
    clear = line(does="clear", values={}, tip=Tip(form="hard", size=0.4, spacing=0.05, presses="nothing"))
    back = layer_edits.add_stroke(hole, key, "p", clear)
    assert np.allclose(surface(back).alpha, 0.6, atol=1e-6)
    assert np.array_equal(surface(layer_edits.add_stroke(doc, key, "under", clear)).alpha, surface(doc).alpha)
    # A stroke touches the channels that it names and no other.
    assert hole.overlays[0].layers.row("p").channels == ("opacity",)
    both = layer_edits.add_stroke(hole, key, "p", line(values={"roughness": 1.0, "colour": (1.0, 0.0, 0.0)}))
    assert both.overlays[0].layers.row("p").channels == ("colour", "opacity", "roughness")
    # Light is added over what is there, and alpha left alone.
    glow = layer_edits.add_stroke(doc, key, "p", line(values={"colour": (0.5, 0.5, 0.5)}, join="add"))
    lit = surface(glow).values
    assert np.allclose(lit[64, 64, 0], display(linear(0.10) + linear(0.5)), atol=1e-5)
    assert np.array_equal(lit[..., 3], surface(doc).alpha)


@pytest.mark.parametrize("form", ["hard", "soft", "bristle", "charcoal", "splatter"])
def test_a_stroke_is_the_same_at_two_sizes_and_survives_saving(form, tmp_path):
    tip = Tip(form=form, size=0.2, spacing=0.3, scatter=0.4, turn="random", flow=0.7, build_up=form == "soft")
    points = tuple((0.15 + 0.07 * i, 0.5 + 0.2 * math.sin(i), 0.4 + 0.06 * i) for i in range(10))
    doc = stacked([{"id": "p"}], side=256, kind="decal")
    doc = layer_edits.add_stroke(
        doc, doc.overlays[0].id, "p", PaintStroke(points=points, tip=tip, values={"opacity": 1.0}, seed=9)
    )
    small, large = surface(doc).alpha, surface(doc, side=1024).alpha
    assert large.shape == (1024, 1024) and small.max() > 0.3
    off = np.abs(small - cv2.resize(large, (256, 256), interpolation=cv2.INTER_AREA))
    assert off.mean() < 0.01 and np.percentile(off, 99) < 0.12
    write_project(tmp_path / "p.mivex", doc)
    again = read_project(tmp_path / "p.mivex")
    assert again == doc and np.array_equal(surface(again).alpha, small)
    # The first dabs stay as they were when the stroke grows.
    from mivex.core.layers.dabs import dabs_of

    whole = PaintStroke(points=points, tip=tip, seed=9)
    part = dabs_of(whole.model_copy(update={"points": points[:6]}), 256, 256)
    assert np.allclose(dabs_of(whole, 256, 256)[: len(part)], part, atol=1e-3)


def test_wrap_mirror_area_soften_smudge_and_strokes_outside():
    def paint(*strokes, side=128):
        doc = stacked([{"id": "p"}], side=side, kind="decal")
        for s in strokes:
            doc = layer_edits.add_stroke(doc, doc.overlays[0].id, "p", s)
        return surface(doc).alpha

    dot = {"points": ((0.02, 0.5, 1),), "values": {"opacity": 1.0}}
    assert paint(line(**dot))[64, 127] == 0 and paint(line(**dot, wrap=True))[64, 127] == 1
    a = paint(line(points=((0.2, 0.3, 1),), values={"opacity": 1.0}, mirror=True))
    assert np.allclose(a, a[:, ::-1], atol=1e-4) and a[38, 102] == 1
    square = paint(
        line(
            area=True, points=((0.25, 0.25, 1), (0.75, 0.25, 1), (0.75, 0.75, 1), (0.25, 0.75, 1)), values={"opacity": 1.0}
        )
    )
    assert abs(float(square.mean()) - 0.25) < 0.004 and square[64, 64] == 1 and square[10, 10] == 0
    base = line(points=((0.4, 0.5, 1),), values={"opacity": 1.0})
    soft = paint(base, line(does="soften", points=((0.52, 0.5, 1),), values={}))
    assert np.abs(np.diff(soft[64])).max() < np.abs(np.diff(paint(base)[64])).max()
    drawn = paint(base, line(does="smudge", points=((0.45, 0.5, 1), (0.8, 0.5, 1)), values={}))
    assert drawn[64, 80] > 0.3 > paint(base)[64, 80]
    assert paint(line(points=((5.0, -3.0, 1), (6.0, 2.0, 1)), values={"opacity": 1.0})).max() == 0


def cover(strokes, size=(192, 192)):
    """What strokes leave of a channel, (height, width)."""
    paint = painted(
        {}, tuple(strokes), size, ("opacity",), lambda _: tip_picture(), lambda _: np.ones(size, np.float32), lambda: None
    )
    return paint["opacity"].value[..., 0]


def tip_picture():
    """An L: no turn of it is its mirror image."""
    v = np.zeros((48, 48, 4), np.float32)
    v[6:42, 6:14, :] = v[6:14, 6:36, :] = 1
    return v[..., 0]


def stroke(points, **more):
    tip = Tip(**more.pop("tip", {}))
    return PaintStroke(points=tuple((x, y, p) for x, y, p in points), tip=tip, **{"values": {"opacity": 1.0}, **more})


@pytest.mark.parametrize("form", ["hard", "soft"])
@pytest.mark.parametrize("size", [0.003, 0.01, 0.05, 0.12, 0.3])
def test_a_straight_stroke_is_even_at_every_pressure(form, size):
    for pressure in (0.05, 0.1, 0.35, 0.7, 1.0):
        v = cover([stroke([(0.05, 0.5, pressure), (0.95, 0.52, pressure)], tip={"form": form, "size": size})], (256, 384))
        # The sum across it: what it leaves in each column, far from its ends.
        middle = v[:, 130:260].sum(0)
        assert np.ptp(middle) < 0.08 * middle.mean(), pressure
        width = size * 256 * pressure
        assert abs(middle.mean() / (width * (1 if form == "hard" else 0.5)) - 1) < 0.06, pressure


@pytest.mark.parametrize("form", ["hard", "soft", "bristle", "charcoal", "splatter", "stamp"])
def test_a_stroke_holds_as_much_ink_at_every_size_and_shape_of_the_canvas(form):
    rng = np.random.default_rng(4)
    points = [
        (0.5 + 0.38 * math.sin(t), 0.5 + 0.38 * math.cos(0.8 * t), float(rng.uniform(0.3, 1)))
        for t in np.linspace(0, 7, 30)
    ]
    for size in (0.012, 0.07):
        s = stroke(points, tip={"form": form, "size": size, "stamp": "x" if form == "stamp" else ""}, seed=5)
        # At 3:2 and at 1:4 too, and at odd sides.
        for small, large in (((160, 240), (640, 960)), ((64, 256), (256, 1024)), ((121, 121), (484, 484))):
            a, b = cover([s], small).mean(), cover([s], large).mean()
            assert abs(a / b - 1) < 0.06, (size, small)


def test_areas_end_at_their_edge():
    # Along texels, between them, and outside the canvas.
    for left, top, right, low in ((10, 20, 50, 60), (10.25, 20.5, 50.75, 60.125), (-5, 30.5, 20, 300)):
        box = [(x / 128, y / 96, 1) for x, y in ((left, top), (right, top), (right, low), (left, low))]
        got = cover([stroke(box, area=True)], (96, 128))
        x, y = np.arange(128), np.arange(96)
        want = (
            np.clip(np.minimum(x + 1, right) - np.maximum(x, left), 0, 1)[None]
            * np.clip(np.minimum(y + 1, low) - np.maximum(y, top), 0, 1)[:, None]
        )
        assert np.abs(got - want).max() < 0.016
    # A star that crosses itself: by even and odd its heart is out, as it is while the area is drawn.
    star = [(0.5 + 0.45 * math.sin(4 * math.pi * k / 5), 0.5 - 0.45 * math.cos(4 * math.pi * k / 5), 1) for k in range(5)]
    got = cover([stroke(star, area=True)], (128, 128))
    assert got[64, 64] == 0 and got[20, 64] > 0.9


@pytest.mark.parametrize("does", ["paint", "clear", "soften", "smudge"])
def test_strokes_go_round_and_are_mirrored_whatever_they_do(does):
    rng = np.random.default_rng(8)
    under = [
        stroke([(x, y, 1)], tip={"form": "hard", "size": 0.14}, values={"opacity": float(v)}, wrap=True)
        for x, y, v in rng.random((40, 3))
    ]
    values = {"opacity": 1.0} if does == "paint" else {}
    line_ = [(0.3, 0.4, 1), (0.62, 0.57, 1)]
    made = []
    for off in (0.0, 0.5):
        moved = [
            s.model_copy(update={"points": tuple((x + off, y + off, p) for x, y, p in s.points)})
            for s in (*under, stroke(line_, does=does, values=values, tip={"form": "soft", "size": 0.18}, wrap=True))
        ]
        made.append(cover(moved))
    assert np.abs(made[0] - np.roll(made[1], (-96, -96), (0, 1))).max() < 0.01
    bars = [
        stroke(
            [(k / 12, 0, 1), ((k + 1) / 12, 0, 1), ((k + 1) / 12, 1, 1), (k / 12, 1, 1)], area=True, values={"opacity": v}
        )
        for k, v in enumerate([0.3, 0.9, 0.3, 0.9, 0.3, 0.9, 0.9, 0.3, 0.9, 0.3, 0.9, 0.3])
    ]
    one = stroke([(0.08, 0.4, 1), (0.33, 0.44, 1)], does=does, values=values, tip={"form": "soft", "size": 0.1})
    alone, both = cover([*bars, one]), cover([*bars, one.model_copy(update={"mirror": True})])
    assert np.abs(alone - both)[:, :90].max() < 0.005 and np.abs(alone[:, ::-1] - both)[:, 102:].max() < 0.005


def test_a_mirrored_stamp_is_turned_over():
    for turn in ("fixed", "along", "random"):
        s = stroke(
            [(0.2, 0.3, 1), (0.32, 0.6, 1)], tip={"form": "stamp", "stamp": "x", "size": 0.2, "turn": turn}, mirror=True
        )
        v = cover([s])
        assert np.abs(v - v[:, ::-1]).max() < 0.02 and np.abs(v - v[::-1]).max() > 0.5


@pytest.mark.parametrize("reads", ["heights", "mask", "cell", "nothing"])
@pytest.mark.parametrize("form", ["soft", "bristle"])
def test_the_picture_while_painting_is_the_finished_stroke(reads, form):
    part = {
        "heights": {"source": "geometry", "geometry": {"kind": "cavity", "reach": 0.1}},
        "mask": {"source": "layer", "layer": "p", "of": "mask"},
        "cell": {"source": "layer", "layer": "p", "of": "height"},
        "nothing": {"value": 0.8},
    }[reads]
    above = {
        "id": "m",
        "cells": {"colour": {"colour": (0.9, 0.1, 0.1)}, "opacity": {"number": 0.7}},
        "mask": {"parts": [part]},
    }
    doc = stacked([{"id": "p"}, above], side=96, kind="decal")
    key, way = doc.overlays[0].id, [(0.2 + 0.06 * k, 0.3 + 0.05 * k, 0.4 + 0.06 * k) for k in range(9)]
    if reads == "mask":
        doc = layer_edits.set_row(doc, key, "p", mask=Mask(parts=(MaskPart(source="painted"),)))
    values = {"mask": 0.1} if reads == "mask" else {"height": 0.6, "opacity": 0.9}
    whole = stroke(way, values=values, tip={"form": form, "size": 0.15})
    if reads == "mask":
        done = layer_edits.set_part(doc, key, "p", 0, strokes=(whole,))
        live = live_paint(Evaluator(), doc.overlays[0], doc, "p", 0)
    else:
        done = layer_edits.add_stroke(doc, key, "p", whole)
        begun = layer_edits.add_stroke(doc, key, "p", whole.model_copy(update={"points": ()}))
        live = live_paint(Evaluator(), begun.overlays[0], begun, "p")
    live.begin()
    picture = None
    for n in (2, 4, 5, 9):
        grown = live.grow(whole.model_copy(update={"points": whole.points[:n]}))
        if grown is not None:
            (top, low, left, right), v = grown
            picture = surface(doc).values.copy() if picture is None else picture
            picture[top:low, left:right] = v
    want = surface(done).values
    seen = want[..., 3] > 0.01
    assert np.abs(picture[..., 3] - want[..., 3]).max() < 2e-3 and np.abs(picture - want)[seen].max() < 0.02

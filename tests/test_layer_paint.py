"""Strokes: painting and clearing, tips, sizes, wrap-round, soften and draw out."""

import math

import cv2
import numpy as np
import pytest
from stacks import display, line, linear, stacked, surface

from mivex.core.layers.strokes import PaintStroke, Tip
from mivex.core.project import layer_edits
from mivex.core.project.file import read_project, write_project


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
    from mivex.core.layers.painting import dabs_of

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

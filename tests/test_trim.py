"""Trimming and padding: nothing changes on the stage."""

import numpy as np
import pytest
from sprites import rgba
from test_judge import step

from mivex.core.material.material import Material
from mivex.core.picture.encode import write_picture
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.scene.draw_calls import render
from mivex.core.stage.camera import View
from mivex.core.stage.placements_model import BillboardPlace


def test_trimming_and_padding_change_nothing_on_the_stage_and_the_pivot_stands_at_the_place(tmp_path):
    a = np.zeros((128, 128), np.float32)
    a[20:60, 70:100] = 1
    write_picture(tmp_path / "p.png", rgba(np.full((128, 128, 3), 0.9), a), 8)
    place = BillboardPlace(at=(0.0, 1.4, 2.0), width=1.2, height=1.2)
    evaluator = Evaluator(tmp_path)
    view = View(Document().cameras[0], 1280, 800)  # near enough for level 0 to be read

    def seen(*steps, at=place):
        o = Overlay(id="o", name="o", source=Source(path="p.png"), material=Material(lit=False), steps=steps, places=(at,))
        return render(Document(overlays=(o,)), {"o": evaluator.texture(o)}, view).colour

    bare = render(Document(), {}, view).colour
    whole = seen(step("spread"))
    assert np.abs(whole - bare).max() > 0.3
    for steps in (
        (step("trim", margin=2),),
        (step("pad", left=30, right=2, top=9, bottom=0),),
        (step("trim", margin=4), step("pad", to="power")),
    ):
        assert np.abs(seen(step("spread"), *steps) - whole).max() < 0.02
    # By the pivot, the shape's own middle stands at the place, and turning it leaves it there.
    spot = view.on_screen(np.array([place.at]))[0, :2]
    for roll in (0, 130):
        shown = seen(step("centre", find="box", do="pivot"), at=place.model_copy(update={"roll": roll}))
        ys, xs = np.nonzero(np.abs(shown - bare).max(axis=-1) > 0.2)
        assert ((xs.min() + xs.max() + 1) / 2, (ys.min() + ys.max() + 1) / 2) == pytest.approx(tuple(spot), abs=2)

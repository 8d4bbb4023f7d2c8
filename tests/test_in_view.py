"""What is on the screen of a large picture comes before the rest of it, and is what the rest will be."""

import gc
import time
import weakref
from dataclasses import replace

import numpy as np
import pytest
from stacks import line, stacked

from mivex.core.layers.builds import all_builds, build_named, instance
from mivex.core.layers.model import Layer, Mask, MaskPart, Stack
from mivex.core.layers.patterns import PATTERNS
from mivex.core.picture.texture import Texture
from mivex.core.project import edits, evaluate, in_view, layer_edits
from mivex.core.project.edits import map_overlay
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.in_view import ShownPart, TexturePiece
from mivex.core.proof.flat import FlatView
from mivex.core.proof.layouts import draw_flat
from mivex.ui.shell.app import wait_until_idle

BOX = (40, 120, 16, 200)


@pytest.fixture
def small_is_large(monkeypatch: pytest.MonkeyPatch) -> None:
    """Pieces are worked out of pictures of 256 texels, as of those of 4096."""
    monkeypatch.setattr(evaluate, "LARGE", 1)
    monkeypatch.setattr(in_view, "LARGE", 1)
    monkeypatch.setattr(in_view, "SMALL", 1)
    monkeypatch.setattr(in_view, "PROXY_SIDE", 32)


def looked_at(doc, evaluator, zoom=1.0, box=BOX):
    o = doc.overlays[0]
    return in_view.in_view(evaluator, o, doc, ShownPart(o.id, zoom, box))


def part(rng) -> dict:
    kind = str(rng.choice(["pattern", "pattern", "flat", "painted", "layer", "below"]))
    made = {
        "source": kind,
        "invert": bool(rng.random() < 0.3),
        "contrast": float(rng.uniform(0, 0.8)),
        "join": str(rng.choice(["multiply", "add", "subtract", "larger", "difference"])),
    }
    if kind == "pattern":
        name = str(rng.choice(["noise", "clouds", "scratches", "droplets", "wear", "stripes", "stain"]))
        made["pattern"] = PATTERNS[name].params().model_dump()
        if rng.random() < 0.3:
            made["laid"] = {"across": 2, "down": 3, "turn": 20.0}
    if kind == "flat":
        made["value"] = float(rng.random())
    if kind == "painted":
        made["strokes"] = [line(values={"mask": 0.8}).model_dump()]
    if kind == "layer":
        made |= {"layer": "r0", "of": "mask"}
    if kind == "below":
        made["of"] = str(rng.choice(["opacity", "colour", "roughness"]))
    return made


def drawn_rows(rng) -> list[dict]:
    rows = []
    for k in range(int(rng.integers(2, 6))):
        cells = {"opacity": {"number": float(rng.random())}, "roughness": {"number": float(rng.random())}}
        if rng.random() < 0.7:
            cells["colour"] = {"colour": [float(v) for v in rng.random(3)]}
        if rng.random() < 0.3:
            cells["opacity"] = {"source": "pattern", "pattern": PATTERNS["fingers"].params().model_dump()}
        if rng.random() < 0.3:
            cells["emissive"] = {"colour": [0.2, 0.5, 0.1], "join": "add"}
        row = {"id": f"r{k}", "name": f"r{k}", "cells": cells, "strength": float(rng.uniform(0.3, 1))}
        if rng.random() < 0.3:
            row["cells"]["opacity"] = {"source": "painted"}
            row["strokes"] = [line().model_dump()]
        row["mask"] = {"parts": [part(rng) for _ in range(int(rng.integers(0, 3)))] if k else []}
        rows.append({"id": f"g{k}", "name": "g", "rows": [row], "strength": 0.7} if rng.random() < 0.2 and k else row)
    return rows


@pytest.mark.usefixtures("small_is_large")
@pytest.mark.parametrize("seed", range(10))
def test_a_piece_is_the_whole_cut_to_the_bit(seed: int) -> None:
    rng = np.random.default_rng(seed)
    more = {"guard": {"on": True}} if seed % 3 == 0 else {}
    if seed % 4 == 1:
        more["levels"] = {"opacity": {"black": 0.1, "white": 0.8}}
    doc, evaluator = stacked(drawn_rows(rng), side=256, **more), Evaluator()
    # Of what was never worked out a piece would take as long as all of it.
    assert looked_at(doc, evaluator, zoom=4.0) is None
    whole = evaluator.texture(doc.overlays[0], doc)
    got = looked_at(doc, evaluator, zoom=4.0)
    assert isinstance(got, TexturePiece) and got.box == BOX
    assert np.array_equal(got.texture.values, whole.values[40:120, 16:200])
    # Drawn over a first look it is what the whole picture shows there.
    first = evaluator.texture(doc.overlays[0], doc, side=64)
    view = FlatView(zoom=2.0, left=-40.0, top=-90.0)
    shown, due = draw_flat(first, view, 120, 100, piece=got), draw_flat(whole, view, 120, 100)
    assert np.array_equal(shown, due)
    away = replace(view, left=-420.0)
    assert np.array_equal(draw_flat(first, away, 60, 100, piece=got), draw_flat(first, away, 60, 100))


@pytest.mark.usefixtures("small_is_large")
@pytest.mark.parametrize("name", sorted(all_builds()[0]))
def test_every_build_is_cut_or_left_to_the_whole(name: str) -> None:
    doc, evaluator = stacked([], side=192), Evaluator()
    doc = map_overlay(
        doc,
        doc.overlays[0].id,
        lambda o: o.model_copy(update={"layers": o.layers.model_copy(update={"rows": (instance(build_named(name)),)})}),
    )
    whole = evaluator.texture(doc.overlays[0], doc)
    got = looked_at(doc, evaluator, zoom=3.0, box=(64, 128, -8, 72))
    if got is not None:
        assert got.box == (64, 128, 0, 72)
        assert np.array_equal(got.texture.values, whole.values[64:128, :72])


@pytest.mark.usefixtures("small_is_large")
@pytest.mark.parametrize(
    "mask",
    [
        {"source": "pattern", "pattern": PATTERNS["noise"].params().model_dump(), "shape": {"blur": 0.1}},
        {"source": "geometry", "geometry": {"kind": "edges"}},
        {"source": "painted", "strokes": [line(values={"mask": 1.0}).model_dump()], "laid": {"turn": 30.0}},
    ],
)
def test_what_looks_further_than_a_piece_waits_for_the_whole(mask: dict) -> None:
    rows = [
        {"id": "a", "name": "a", "cells": {"height": {"number": 0.5}}},
        {"id": "b", "name": "b", "cells": {"opacity": {"number": 0.2}}, "mask": {"parts": [mask]}},
    ]
    doc, evaluator = stacked(rows, side=256), Evaluator()
    evaluator.texture(doc.overlays[0], doc)
    assert looked_at(doc, evaluator, zoom=4.0) is None


def test_all_of_a_large_picture_is_made_as_fine_as_it_is_shown() -> None:
    """Four sizes of window over one picture: as many texels as pixels, never more than twice; off the screen nothing."""
    doc, evaluator = stacked([{"id": "a", "name": "a", "cells": {"opacity": {"number": 0.2}}}], side=4096), Evaluator()
    for zoom, side in ((0.1, 0), (0.2, 1024), (0.25, 1024), (0.3, 2048), (0.6, 0)):
        got = looked_at(doc, evaluator, zoom, (0, 4096, 0, 4096))
        assert (got is None) == (side == 0), zoom
        if isinstance(got, Texture):
            assert got.width == side and abs(got.scale - side / 4096) < 1e-9
            assert side >= zoom * 4096 > side / 2
    assert looked_at(doc, evaluator, 1.0, (-900, -10, 0, 4096)) is None


def test_a_slider_of_twelve_layers_shows_what_is_on_the_screen_before_all_of_it() -> None:
    """Not a limit in seconds, which a busy machine would break: a fraction of what the whole takes, in the same run."""
    kinds = ("stain", "scratches", "droplets", "streaks", "noise", "stripes")
    rows = tuple(
        Layer.model_validate(
            {
                "id": f"{k} {n}",
                "name": k,
                "cells": {"colour": {"colour": (0.6, 0.5, 0.5)}, "opacity": {"number": 0.7}, "roughness": {"number": 0.8}},
                "strength": 0.8,
                "mask": Mask(parts=(MaskPart(source="pattern", pattern=PATTERNS[k].params()),)),
            }
        )
        for n in range(2)
        for k in kinds
    )
    doc = stacked([], side=2048)
    key = doc.overlays[0].id
    doc = map_overlay(doc, key, lambda o: o.model_copy(update={"layers": Stack(base=o.layers.base, rows=rows)}))
    evaluator = Evaluator()
    evaluator.texture(doc.overlays[0], doc)
    for k in range(2):  # the first move cuts the pieces that the next ones begin from
        changed = layer_edits.set_row(doc, key, rows[0].id, strength=0.5 + 0.1 * k)
        begun = time.perf_counter()
        got = looked_at(changed, evaluator, 1.0, (500, 900, 600, 1200))
        took = time.perf_counter() - begun
    begun = time.perf_counter()
    whole = evaluator.texture(changed.overlays[0], changed)
    assert isinstance(got, TexturePiece) and took < 0.5 * (time.perf_counter() - begun)
    top, low, left, right = got.box
    assert np.array_equal(got.texture.values, whole.values[top:low, left:right])


def test_the_window_shows_the_piece_that_is_looked_at_before_the_whole(window) -> None:
    """3:2, zoomed in, a slider moved: first look, then the very texels that the whole will have, then the whole."""
    made = []

    def add(doc):
        doc, key = edits.add_blank(doc, "Pane", "glass", (1320, 880))
        made.append(key)
        group = instance(build_named("Salted pane"))
        return map_overlay(
            doc, key, lambda o: o.model_copy(update={"layers": o.layers.model_copy(update={"rows": (group,)})})
        )

    window.session.apply("Add", add)
    (key,) = made
    window.session.choose(key)
    window.go("layers")
    wait_until_idle(window)
    canvas, seen = window.flat.canvas, []
    canvas.pan_to(-500.0, -100.0)
    canvas.set_view(zoom=1.0)
    # Grown while the picture stays in its place, as when the line of progress below it goes.
    window.resize(window.width(), window.height() + 80)
    wait_until_idle(window)
    window.engine.prepared.connect(lambda _: seen.append((window.engine.get(key), canvas.piece)))
    group = window.session.doc.overlay(key).layers.rows[0]
    window.session.apply("Strength", lambda doc: layer_edits.set_row(doc, key, group.id, strength=0.5))
    wait_until_idle(window)
    pieces = [(r, shown) for r, shown in seen if r.piece is not None]
    last = window.engine.get(key)
    assert pieces and last.full and last.piece is None and canvas.piece is None
    result, shown = pieces[-1]
    assert shown is result.piece and shown.size == (1320, 880)
    top, low, left, right = shown.box
    assert top <= 100 and left <= 500 and low >= min(880, 100 + canvas.height())
    assert np.array_equal(shown.texture.values, last.texture.values[top:low, left:right])
    # Zoomed out there is nothing to be cut: as many texels as pixels are enough.
    canvas.fit()
    seen.clear()
    window.session.apply("Strength", lambda doc: layer_edits.set_row(doc, key, group.id, strength=0.9))
    wait_until_idle(window)
    assert all(r.piece is None for r, _ in seen) and window.engine.get(key).full


def test_a_closed_window_holds_none_of_its_pictures(window) -> None:
    """Whoever still holds the window: textures and the shown piece are given back when it is closed."""
    made = []

    def add(doc):
        doc, key = edits.add_blank(doc, "Pane", "glass", (1320, 880))
        made.append(key)
        return doc

    window.session.apply("Add", add)
    window.session.choose(made[0])
    wait_until_idle(window)
    held = weakref.ref(window.engine.get(made[0]).texture)
    assert held() is not None and window.tray.measured.result is not None
    window.close()
    gc.collect()
    assert held() is None

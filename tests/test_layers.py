"""Layers: what they touch and what not, joins and masks by hand, builds, the command line."""

import json

import numpy as np
import pytest
from stacks import display, linear, stacked, surface
from test_project import mivex_run

from mivex.core.base.errors import MivexError
from mivex.core.layers import builds
from mivex.core.layers.channels import CHANNELS
from mivex.core.layers.joining import join, join_light
from mivex.core.layers.model import ChannelSource, Group, Layer, Mask, MaskPart, Stack, base_for
from mivex.core.layers.patterns import PATTERNS
from mivex.core.layers.views import explained
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.picture.texture import Texture
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Surface
from mivex.core.prepare.loose import loose_mask
from mivex.core.project import edits, layer_edits
from mivex.core.project.document import Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import dumps, loads, write_project
from mivex.core.project.layering import use_each_other

RNG = np.random.default_rng(8)


def test_channels_that_a_layer_does_not_touch_stay_bit_for_bit(tmp_path):
    picture = RNG.integers(0, 256, (40, 56, 4)).astype(np.float32) / 255
    write_picture(tmp_path / "a.png", picture, 8)
    o = Overlay(name="a", source=Source(path="a.png", meaning="colour"))
    evaluator = Evaluator(tmp_path)
    plain = evaluator.texture(o)
    noisy = MaskPart(source="pattern", pattern=PATTERNS["noise"].params())
    for channel in CHANNELS:
        cell = ChannelSource(colour=(0.2, 0.7, 0.4), number=0.3, join="multiply")
        layers = Stack(rows=(Layer(cells={channel: cell}, mask=Mask(parts=(noisy,))),))
        made = evaluator.graph.value(evaluator.node_of(o.model_copy(update={"layers": layers}))).surface
        assert np.array_equal(made.values[..., :3], plain.values[..., :3]) == (channel != "colour")
        assert np.array_equal(made.values[..., 3], plain.values[..., 3]) == (channel != "opacity")
        assert set(made.channels) == ({channel} if channel not in ("colour", "opacity") else set())
    # Rows that are off, of strength 0, or masked away change nothing at all; nor does a stack without rows.
    for row in (
        Layer(on=False, cells={"colour": ChannelSource()}),
        Layer(strength=0, cells={"opacity": ChannelSource(number=0)}),
    ):
        t = evaluator.texture(o.model_copy(update={"layers": Stack(rows=(row,))}))
        assert np.array_equal(t.values, plain.values) and not t.channels
    masked = Layer(cells={"colour": ChannelSource(colour=(1, 0, 0))}, mask=Mask(parts=(MaskPart(value=0),)))
    t = evaluator.texture(o.model_copy(update={"layers": Stack(rows=(masked,))}))
    assert np.array_equal(t.values, plain.values)


def test_joins_against_values_worked_out_by_hand():
    below, value, m = 0.5, 0.3, 0.25
    want = {"towards": 0.45, "multiply": 0.4125, "add": 0.575, "screen": 0.5375, "larger": 0.5, "smaller": 0.45}
    for how, w in want.items():
        got = join(
            np.full((3, 5), below, np.float32), np.full((1, 1), value, np.float32), np.full((3, 5), m, np.float32), 1.0, how
        )
        assert got.shape == (3, 5) and np.allclose(got, w, atol=1e-6), how
    # In a whole stack: colours meet in linear light, opacity as it is, heights may go below the surface.
    doc = stacked(
        [
            {
                "cells": {
                    "roughness": {"number": 0.5, "join": "add"},
                    "height": {"number": -0.4, "join": "add"},
                    "metal": {"number": 0.8},
                    "emissive": {"colour": (0.5, 0.5, 0.5), "join": "add"},
                },
                "strength": 0.5,
            }
        ]
    )
    s = surface(doc)
    assert np.allclose(s.channels["roughness"], 0.05 + 0.25) and np.allclose(s.channels["metal"], 0.4)
    assert np.allclose(s.channels["height"], (1 - 0.2) / 2)
    assert np.allclose(s.channels["emissive"], display(linear(0.5) / 2), atol=2e-6)
    doc = stacked([{"cells": {"colour": {"colour": (0.8, 0.8, 0.8), "join": "multiply"}}}])
    assert np.allclose(
        surface(doc).values[0, 0, :3], [display(linear(c) * linear(0.8)) for c in (0.10, 0.13, 0.14)], atol=2e-6
    )


def test_colour_and_opacity_go_together_as_light_does():
    # A clear black base lends no colour to the rim of what is laid on it.
    doc = stacked(
        [
            {
                "cells": {"colour": {"colour": (0.9, 0.5, 0.1)}, "opacity": {"number": 0.8}},
                "mask": {"parts": [{"source": "pattern", "pattern": {"kind": "ramp", "way": "across"}}]},
            }
        ],
        kind="decal",
    )
    v = surface(doc).values
    assert np.allclose(v[:, 1:, :3], [0.9, 0.5, 0.1], atol=1e-5)
    assert np.allclose(v[0, :, 3], (np.arange(64) + 0.5) / 64 * 0.8, atol=1e-5)
    # Over something: premultiplied light is mixed.
    a, o, m = 0.6, 0.9, 0.3
    below, value = np.full((1, 1, 3), 0.2, np.float32), np.full((1, 1, 3), 0.7, np.float32)
    c, alpha = join_light(
        below,
        np.full((2, 2), a, np.float32),
        value,
        np.full((1, 1), o, np.float32),
        (np.full((1, 1), m, np.float32), 1.0),
        (np.full((1, 1), m, np.float32), 1.0),
    )
    mixed = (1 - m) * a * 0.2 + m * o * 0.7
    assert np.allclose(alpha, (1 - m) * a + m * o) and np.allclose(c * alpha[..., None], mixed, atol=1e-6)


def test_groups_levels_and_an_overlay_laid_over_another():
    inner = [{"cells": {"roughness": {"number": 1.0}}}, {"cells": {"metal": {"number": 1.0}}}]
    s = surface(stacked([{"rows": inner, "strength": 0.5, "mask": {"parts": [{"value": 0.5}]}}]))
    assert np.allclose(s.channels["roughness"], 0.05 + 0.95 * 0.25) and np.allclose(s.channels["metal"], 0.25)
    s = surface(stacked([{"rows": inner, "levels": {"roughness": {"low": 0.5, "high": 1.5}}}]))
    assert np.allclose(s.channels["roughness"], 0.5)
    s = surface(stacked(inner, levels={"metal": {"low": 0, "high": 2, "gamma": 0.5}}))
    assert np.allclose(s.channels["metal"], 0.25)
    # One see-through stack over another.
    doc = stacked(
        [{"cells": {"colour": {"colour": (0.8, 0.2, 0.2)}, "opacity": {"number": 0.5}, "roughness": {"number": 0.9}}}]
    )
    doc, top = edits.add_blank(doc, "Veil", "glass", (32, 32))
    cells = {
        "colour": ChannelSource(colour=(0.2, 0.2, 0.8)),
        "opacity": ChannelSource(number=0.4),
        "roughness": ChannelSource(number=0.1),
    }
    doc = layer_edits.add_row(doc, top, Layer(cells=cells))
    doc = layer_edits.add_row(doc, doc.overlays[0].id, Layer(laid_over=top))
    s = surface(doc)
    assert np.allclose(s.alpha, 1 - 0.6 * 0.5, atol=1e-6)
    share = 0.4 / 0.7
    assert np.allclose(s.channels["roughness"], 0.1 * share + 0.9 * (1 - share), atol=1e-5)
    assert np.allclose(s.values[0, 0, 0], display(linear(0.2) * share + linear(0.8) * (1 - share)), atol=1e-5)
    # Two that would use each other are refused, in words, and the document stays.
    with pytest.raises(MivexError, match="use each other"):
        layer_edits.add_row(doc, top, Layer(laid_over=doc.overlays[0].id))
    assert use_each_other(doc, top) == ""
    text = json.loads(dumps(doc))
    text["overlays"][1]["layers"]["rows"].append({"name": "back", "laid_over": doc.overlays[0].id})
    # A file that says so is refused as well: delivered, it would be incomplete without a word.
    with pytest.raises(MivexError, match="would use each other"):
        loads(text, "it")


def test_masks_against_values_worked_out_by_hand():
    def mask_of(*parts, side=64):
        doc = stacked(
            [{"cells": {"roughness": {"number": 1.0}, "metal": {"number": 1.0}}, "mask": {"parts": list(parts)}}], side
        )
        return surface(doc).channels["metal"][..., 0]

    for how, want in {
        "multiply": 0.12,
        "add": 0.7,
        "subtract": 0.1,
        "larger": 0.4,
        "smaller": 0.3,
        "difference": 0.1,
    }.items():
        assert np.allclose(mask_of({"value": 0.4}, {"value": 0.3, "join": how}), want, atol=1e-6), how
    assert np.allclose(mask_of({"value": 0.3, "invert": True}), 0.7)
    assert np.allclose(mask_of({"value": 0.3, "levels": {"low": 0.2, "high": 0.6, "gamma": 2.0}}), 0.5)
    assert np.allclose(mask_of({"value": 0.4, "contrast": 0.5}), 0.3) and np.allclose(
        mask_of({"value": 0.4, "balance": 0.5}), 0.65
    )
    ramp = {"source": "pattern", "pattern": {"kind": "ramp", "way": "across"}}
    x = (np.arange(64) + 0.5) / 64
    assert np.allclose(mask_of(ramp)[5], x, atol=1e-5)
    assert np.allclose(mask_of({**ramp, "laid": {"right": 0.25}})[5, 20:60], (x - 0.25)[20:60], atol=1e-3)
    assert np.allclose(mask_of({**ramp, "laid": {"turn": 90.0}})[2:-2, 5], x[2:-2], atol=1e-3)
    twice = mask_of({**ramp, "laid": {"across": 2.0}})[5]
    turned = (2 * (x - 0.5) + 0.5) % 1
    inside = np.abs(turned - 0.5) < 0.45
    assert np.allclose(twice[inside], turned[inside], atol=0.02) and np.allclose(twice[:32], twice[32:], atol=1e-5)
    # Every kind of part can be laid: what is painted at the left, moved to the right.
    dot = {"points": ((0.2, 0.5, 1),), "values": {"mask": 1.0}, "tip": {"form": "hard", "size": 0.2, "presses": "nothing"}}
    spot = mask_of({"source": "painted", "value": 0.0, "strokes": [dot]})
    moved = mask_of({"source": "painted", "value": 0.0, "strokes": [dot], "laid": {"right": 0.5}})
    assert spot[32, 12] == 1 and spot[32, 45] == 0 and moved[32, 45] > 0.999 and moved[32, 12] == 0
    # Another layer's mask, and what it makes of a channel; two that read each other are left out with a word.
    doc = stacked(
        [
            {"id": "a", "name": "a", "mask": {"parts": [{"value": 0.25}]}, "cells": {"opacity": {"number": 0.5}}},
            {
                "id": "b",
                "name": "b",
                "mask": {"parts": [{"source": "layer", "layer": "a"}]},
                "cells": {"metal": {"number": 1}},
            },
            {
                "id": "c",
                "mask": {"parts": [{"source": "layer", "layer": "a", "of": "opacity"}]},
                "cells": {"roughness": {"number": 0.0, "join": "multiply"}},
            },
        ]
    )
    s = surface(doc)
    assert np.allclose(s.channels["metal"], 0.25) and np.allclose(s.channels["roughness"], 0.05 * 0.5)
    doc = stacked(
        [
            {"id": i, "name": i, "mask": {"parts": [{"source": "layer", "layer": j}]}, "cells": {"metal": {"number": 1}}}
            for i, j in (("a", "b"), ("b", "a"))
        ]
    )
    evaluator = Evaluator()
    assert any("use each other" in n for n in evaluator.texture(doc.overlays[0], doc).notes)


def test_a_texel_is_explained_and_what_lies_below_a_change_is_kept():
    rows = [
        {"id": "a", "name": "Film", "cells": {"opacity": {"number": 0.6}}},
        {
            "id": "b",
            "name": "Rim",
            "cells": {"opacity": {"number": 0.9}, "metal": {"number": 1.0}},
            "mask": {
                "parts": [{"source": "pattern", "pattern": {"kind": "ramp", "way": "across", "low": 0.5, "high": 0.51}}]
            },
        },
    ]
    doc = stacked(rows)
    evaluator, o = Evaluator(), doc.overlays[0]
    nodes = evaluator.layer_states(o)
    left = {e.channel: e for e in explained(evaluator.graph, o.layers, nodes, 0.2, 0.5)}
    right = {e.channel: e for e in explained(evaluator.graph, o.layers, nodes, 0.8, 0.5)}
    assert (left["opacity"].row, right["opacity"].row, left["metal"].row, right["metal"].row) == ("a", "b", "", "b")
    assert abs(right["opacity"].value[0] - 0.9) < 1e-6 and left["colour"].name == "the base"
    other = layer_edits.set_row(doc, o.id, "b", strength=0.5)
    assert [n.key for n in evaluator.layer_states(other.overlays[0])][:2] == [n.key for n in nodes][:2]
    assert evaluator.layer_states(other.overlays[0])[2].key != nodes[2].key


def test_builds_are_saved_applied_brought_up_to_date_and_refused(tmp_path, monkeypatch):
    monkeypatch.setenv("XDG_DATA_HOME", str(tmp_path))
    shipped, wrong = builds.all_builds()
    assert len(shipped) == 16 and not wrong and all(3 <= len(b.open) <= 5 for b in shipped.values())
    for b in shipped.values():
        # Every dial moves something that is seen, and nothing of it makes a finding that is sure.
        o = Overlay(name=b.build, kind=b.kind, source=Source(canvas=(96, 96), meaning="colour"))
        plain = o.model_copy(update={"layers": Stack(base=base_for(b.kind), rows=(builds.instance(b),))})
        texture = Evaluator().texture(plain)
        assert np.isfinite(texture.values).all() and np.ptp(texture.values, axis=(0, 1)).max() > 0.02, b.build
    doc = stacked([])
    doc, group = layer_edits.add_build(doc, doc.overlays[0].id, shipped["Scratched pane"])
    key = doc.overlays[0].id
    assert "roughness" in surface(doc).channels
    made = doc.overlays[0].layers.row(group)
    assert isinstance(made, Group) and made.id != shipped["Scratched pane"].group.id
    doc = layer_edits.set_knob(doc, key, group, "rows.0.strength", 0.25)
    mine = shipped["Scratched pane"].model_copy(update={"build": "Mine", "about": "ours"})
    builds.save_build(mine)
    assert builds.build_named("mine").build == "Mine"
    deep = doc.overlays[0].layers.row(group).rows[1]
    changed = layer_edits.set_cell(doc, key, deep.id, "roughness", number=0.1)
    fresh = layer_edits.update_build(changed, key, group, shipped["Scratched pane"]).overlays[0].layers.row(group)
    assert (fresh.rows[0].strength, fresh.rows[1].cells["roughness"], fresh.id) == (0.25, deep.cells["roughness"], group)
    (tmp_path / "mivex" / "builds" / "new.build.json").write_text('{"build": "New", "version": 7, "group": {"rows": []}}')
    (tmp_path / "mivex" / "builds" / "cut.build.json").write_text('{"build": "Cut')
    found, wrong = builds.all_builds()
    assert len(found) == 17 and len(wrong) == 2 and "newer Mivex" in wrong[1] and "JSON" in wrong[0]
    with pytest.raises(MivexError, match="There is no build"):
        builds.build_named("nothing")


def test_the_command_line_writes_channels_and_recipes_apply_builds(tmp_path):
    doc = stacked(
        [
            {"name": "Film", "cells": {"roughness": {"number": 0.7}, "opacity": {"number": 0.5}}},
            {"name": "lost", "cells": {"colour": {"source": "picture", "path": "none.png"}}},
        ]
    )
    write_project(tmp_path / "p.mivex", doc)
    for channel, want in (("roughness", 0.7), ("opacity", 0.5), ("alpha", 0.5), ("metal", 0.0), ("height", 0.5)):
        done = mivex_run("layers", "p.mivex", "Pane", "o.png", "--channel", channel, "--size", "40", cwd=tmp_path)
        assert done.returncode == 0 and "none.png" in done.stdout and "lost" in done.stdout
        v = read_picture(tmp_path / "o.png").values
        assert v.shape[:2] == (40, 40) and np.allclose(v[..., :3], want, atol=1e-4)
    normal = mivex_run("layers", "p.mivex", doc.overlays[0].id, "n.exr", "--channel", "normal", cwd=tmp_path)
    assert normal.returncode == 0 and np.allclose(
        read_picture(tmp_path / "n.exr").values[0, 0, :3], [0.5, 0.5, 1], atol=1e-3
    )
    for args in (
        ("p.mivex", "Nobody", "o.png"),
        ("p.mivex", "Pane", "o.gif"),
        ("p.mivex", "Pane", "o.png", "--channel", "warmth"),
    ):
        bad = mivex_run("layers", *args, cwd=tmp_path)
        assert bad.returncode == 2 and bad.stderr.count("\n") == 1 and "Traceback" not in bad.stderr
    write_picture(tmp_path / "in.png", np.full((512, 512, 4), 0.6, np.float32), 8)
    (tmp_path / "r.json").write_text(json.dumps({"steps": [{"step": "build", "name": "Perforated plate"}]}))
    assert mivex_run("prepare", "in.png", "out.png", "--recipe", "r.json", cwd=tmp_path).returncode == 0
    a = read_picture(tmp_path / "out.png").values[..., 3]
    assert a.min() == 0 and a.max() == 1
    (tmp_path / "r.json").write_text(json.dumps({"steps": [{"step": "build", "name": "Nothing"}]}))
    bad = mivex_run("prepare", "in.png", "out.png", "--recipe", "r.json", cwd=tmp_path)
    assert bad.returncode == 2 and "There is no build" in bad.stderr


def test_the_border_guard_leaves_no_alpha_at_the_border_and_a_ragged_line():
    doc = stacked([{"cells": {"opacity": {"number": 1.0}}}], side=128, guard={"on": True, "width": 0.15})
    a = surface(doc).alpha
    edge = np.concatenate([a[0], a[-1], a[:, 0], a[:, -1]])
    assert edge.max() < 0.02 and a[40:90, 40:90].min() > 0.98
    where = (a[:, 20:108] > 0.5).argmax(axis=0)
    assert np.ptp(where) > 3


def test_the_border_finding_offers_the_guard_and_loose_pieces_are_dropped_alone():
    from mivex.core.findings import Subject, examine

    doc = stacked(
        [
            {
                "cells": {"opacity": {"number": 0.8}, "colour": {"colour": (0.5, 0.4, 0.3)}},
                "mask": {
                    "parts": [
                        {"source": "pattern", "invert": True, "pattern": {"kind": "ramp", "way": "down", "high": 0.4}}
                    ]
                },
            }
        ],
        side=96,
        kind="decal",
    )
    f = {f.id: f for f in examine(Subject.of(doc.overlays[0], Evaluator().texture(doc.overlays[0], doc)))}
    assert f["border"].repair.label == "Turn the border guard on"
    mended = f["border"].repair(doc)
    assert mended.overlays[0].layers.guard.on and mended.overlays[0].layers.rows == doc.overlays[0].layers.rows
    assert "border" not in {
        f.id for f in examine(Subject.of(mended.overlays[0], Evaluator().texture(mended.overlays[0], mended)))
    }
    # A sheet with a hole in which a crumb floats, and a net that hangs together; letters are pieces by their nature.
    a = np.ones((96, 96), np.float32)
    a[20:70, 20:70] = 0
    a[40:46, 30:38], a[46, 30:38], a[80, 90] = 1, 0.3, 0.4
    material = doc.overlays[0].material.model_copy(update={"blend": "Cutout"})

    def loose(alpha, **traits):
        t = Texture(np.dstack([np.full((*alpha.shape, 3), 0.5, np.float32), alpha]), **traits)
        return t, [f for f in examine(Subject("n", t, material, "o")) if f.id == "loose"]

    t, found = loose(a)
    assert len(found) == 1 and found[0].figure == 1 and tuple(found[0].place) == (30, 40, 8, 6)
    step = found[0].repair.steps[0]
    fixed = STEPS["drop-loose"].run(Surface(t.values), step, None).values
    want = a.copy()
    want[40:47, 30:38] = 0
    assert np.array_equal(fixed[..., 3], want) and np.array_equal(fixed[..., :3], t.values[..., :3])
    assert not loose(want)[1]
    letters = np.zeros((96, 96), np.float32)
    letters[30:60, 10:30], letters[30:60, 40:60], letters[40:60, 70:80], letters[30:34, 70:80] = 1, 1, 1, 1
    net = PATTERNS["net"].draw(PATTERNS["net"].params(), 96, 96)
    assert not loose(letters)[1] and not loose((net > 0.5).astype(np.float32))[1]
    # What goes on at the other side of a picture that repeats is not loose.
    round_ = want.copy()
    round_[:, 95:], round_[:, 92:95] = 1, 0
    assert len(loose(round_)[1]) == 1
    pieces = loose_mask(round_, 0.5, 0.5, repeats=True)
    assert not pieces.any()

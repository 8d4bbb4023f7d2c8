"""Variants, and overlays that have no picture."""

import json

import numpy as np
import pytest
from test_project import mivex_run

from mivex.core.base.errors import MivexError
from mivex.core.picture.files import read_picture
from mivex.core.project import edits
from mivex.core.project.document import Document
from mivex.core.project.file import loads, read_project, write_project
from mivex.core.project.variants import add_variant, differing, followed, on_its_own, synced


def test_an_overlay_without_a_picture_goes_all_the_way(tmp_path):
    """Drawn on an empty canvas with text and noise: checked, rendered, delivered from the command line."""
    steps = [
        {"step": "text", "text": "NR-04", "size": 0.6, "colour": [0.9, 0.8, 0.4]},
        {"step": "noise", "amount": 0.3},
        {"step": "signed-distance", "spread": 4},
    ]
    doc = loads(
        {
            "mivex": 1,
            "overlays": [
                {
                    "id": "o",
                    "name": "Plate",
                    "kind": "logo",
                    "steps": steps,
                    "material": {"blend": "Cutout", "depth_write": True},
                    "source": {"canvas": [256, 64], "meaning": "colour"},
                    "places": [{"id": "p", "mount": "panel", "at": [0, 1.3, 2.4], "width": 2.0, "height": 0.5}],
                }
            ],
        },
        "p",
    )
    write_project(tmp_path / "p.mivex", doc)
    told = json.loads(mivex_run("check", "p.mivex", "--json", cwd=tmp_path).stdout)
    assert told["pictures"][0]["overlay"] == "Plate" and told["pictures"][0]["width"] == 256
    assert mivex_run("render", "p.mivex", "v.png", "--size", "200x160", cwd=tmp_path).returncode == 0
    empty = Document(cameras=doc.cameras)
    write_project(tmp_path / "e.mivex", empty)
    mivex_run("render", "e.mivex", "e.png", "--size", "200x160", cwd=tmp_path)
    a, b = (read_picture(tmp_path / n).values for n in ("v.png", "e.png"))
    assert (np.abs(a - b).max(axis=-1) > 0.05).mean() > 0.004
    assert mivex_run("deliver", "p.mivex", "out", cwd=tmp_path).returncode == 0
    sheet = json.loads((tmp_path / "out" / "Plate.blend.json").read_text())
    assert sheet["signed_distance"]["spread_texels"] == 4 and sheet["cutoff"] == 0.5
    for size in ([0, 5], [9000, 9000], [-1, 4]):
        with pytest.raises(MivexError, match="canvas"):
            loads({"mivex": 1, "overlays": [{"name": "x", "source": {"canvas": size}}]}, "p")


def test_variants_follow_their_material_but_for_what_is_their_own(tmp_path):
    doc, key = edits.add_overlay(Document(), "Smoke", "sprite", "s.png")
    doc, twin = add_variant(doc, key)
    doc, third = add_variant(doc, twin)

    def edit(doc, overlay, **values):
        return synced(doc, edits.set_fields(doc, overlay, "material", **values))

    def seen(doc, name):
        return [getattr(doc.overlay(k).material, name) for k in (key, twin, third)]

    doc = edit(doc, twin, opacity=0.4)
    assert doc.overlay(twin).own == ("opacity",) and seen(doc, "opacity") == [1.0, 0.4, 0.4] and not doc.overlay(third).own
    doc = edit(doc, key, tint=(0.5, 0.5, 0.5), opacity=0.9)
    assert seen(doc, "tint") == [(0.5, 0.5, 0.5)] * 3 and seen(doc, "opacity") == [0.9, 0.4, 0.4]
    doc = edit(doc, third, nudge=3)
    assert differing(doc.overlay(third)) == ["Order nudge"] and seen(doc, "nudge") == [0, 0, 3]
    # A blend carries what is usual for it; all of that becomes the variant's own.
    doc = edit(doc, twin, blend="Cutout")
    assert set(doc.overlay(twin).own) == {"opacity", "blend", "group", "depth_write"} and seen(doc, "group")[2] == "Cutout"
    write_project(tmp_path / "p.mivex", doc)
    assert read_project(tmp_path / "p.mivex") == doc
    # Whoever changes the file by hand: variants follow when it is read.
    text = json.loads((tmp_path / "p.mivex").read_text())
    text["overlays"][0]["material"]["tint"] = [1, 0, 0]
    assert seen(loads(text, "p"), "tint") == [(1.0, 0.0, 0.0)] * 3
    back = followed(doc, twin)
    assert back.overlay(twin).material == back.overlay(key).material and not back.overlay(twin).own
    alone = edit(on_its_own(doc, twin), key, opacity=0.1)
    assert seen(alone, "opacity") == [0.1, 0.4, 0.4] and not alone.overlay(twin).variant_of
    # What it follows may go, and two may be told to follow each other: nothing changes then.
    gone = edit(edits.remove_overlay(doc, key), twin, opacity=0.7)
    assert gone.overlay(twin).material.opacity == 0.7 and gone.overlay(third).material.opacity == 0.7
    text["overlays"][0]["variant_of"] = third
    assert loads(text, "p").overlay(key).variant_of == third
    text["overlays"][1]["own"] = ["warmth"]
    with pytest.raises(MivexError, match="warmth"):
        loads(text, "p")

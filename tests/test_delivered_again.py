"""Delivering again: what has not changed is left as it is and proved by its hashes; what has is made anew."""

import json
import time

import numpy as np
import pytest
from test_project import mivex_run

from mivex.core.deliver import keys
from mivex.core.deliver.project import PROOF, deliver_project
from mivex.core.layers.model import ChannelSource, Layer, Stack
from mivex.core.material.material import Finish, Material
from mivex.core.material.sourced import Channel
from mivex.core.motion.model import Effect, Emitter
from mivex.core.picture.encode import write_picture
from mivex.core.project import edits
from mivex.core.project.delivery import DeliveryRecipe, Feed, FilePlan, recipe_named
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.stage.placements_model import PanelPlace

NAMES = ("a", "b", "c", "d")


def picture(path, tone):
    rng = np.random.default_rng(int(tone * 1000))
    write_picture(path, np.clip(rng.random((24, 24, 4)) * tone, 0, 1).astype(np.float32))


@pytest.fixture
def four(tmp_path):
    """Four overlays: b's layers read a, c's roughness reads d; an effect shows a."""
    rows = []
    for k, name in enumerate(NAMES):
        picture(tmp_path / f"{name}.png", 0.5 + 0.1 * k)
        rows.append(Overlay(id=name, name=name.upper(), source=Source(path=f"{name}.png"), places=(PanelPlace(id="p"),)))
    cell = ChannelSource(source="overlay", overlay="a")
    rows[1] = rows[1].model_copy(update={"layers": Stack(rows=(Layer(id="l", cells={"colour": cell}),))})
    rough = Channel(source="overlay", overlay="d", channel="red")
    rows[2] = rows[2].model_copy(update={"material": Material(finish=Finish(roughness=rough))})
    doc = Document(overlays=tuple(rows), effects=(Effect(id="e", name="Puff", parts=(Emitter(id="x", overlay="a"),)),))
    return tmp_path, doc


class Counting(Evaluator):
    """An evaluator that remembers which overlays it was asked for."""

    def __init__(self, folder):
        super().__init__(folder)
        self.asked = set()

    def texture(self, overlay, *args, **more):
        self.asked.add(overlay.id)
        return super().texture(overlay, *args, **more)


def again(four, doc=None, **more):
    folder, usual = four
    evaluator = Counting(folder)
    recipe = more.pop("recipe", recipe_named("scene").model_copy(update={"proof": False}))
    made = deliver_project(doc or usual, evaluator, folder / "out", recipe=recipe, **more)
    return evaluator.asked, made


def times(folder):
    return {p.name: p.stat().st_mtime_ns for p in (folder / "out").iterdir() if p.name != "delivery.json"}


def test_nothing_is_computed_where_nothing_has_changed(four):
    asked, first = again(four)
    assert asked == set(NAMES)
    before, listed = times(four[0]), (four[0] / "out" / "delivery.json").read_bytes()
    asked, second = again(four)
    assert not asked and times(four[0]) == before and (four[0] / "out" / "delivery.json").read_bytes() == listed
    assert [d.files for d in second.overlays] == [d.files for d in first.overlays] and second.motion == first.motion
    for a, b in zip(first.overlays, second.overlays, strict=True):
        assert [(c.file, c.channel, c.low, c.high, c.difference) for c in a.table] == [
            (c.file, c.channel, c.low, c.high, c.difference) for c in b.table
        ]
        assert not any(c.back.fresh for c in b.table) and a.left_out == b.left_out


@pytest.mark.parametrize(
    ("what", "due"),
    [
        ("picture a", {"a", "b"}),  # b's layers read it
        ("picture d", {"c", "d"}),  # c's material reads it
        ("material b", {"b"}),
        ("name c", {"c"}),
        ("place d", {"c", "d"}),
        ("file gone", {"d"}),
        ("file touched", {"d"}),
        ("sheet touched", {"a"}),
        ("display", set(NAMES)),
        ("recipe", set(NAMES)),
        ("program", set(NAMES)),
        ("list damaged", set(NAMES)),
    ],
)
def test_what_has_changed_is_made_anew_and_what_reads_it(four, monkeypatch, what, due):
    folder, doc = four
    again(four)
    out, more = folder / "out", {}
    match what.split():
        case ["picture", name]:
            picture(folder / f"{name}.png", 0.33)
        case ["material", key]:
            doc = edits.map_overlay(doc, key, lambda o: o.model_copy(update={"material": Material(opacity=0.5)}))
        case ["name", key]:
            doc = edits.map_overlay(doc, key, lambda o: o.model_copy(update={"name": "Renamed"}))
        case ["place", key]:
            doc = edits.map_overlay(doc, key, lambda o: o.model_copy(update={"places": (PanelPlace(id="p", yaw=20.0),)}))
        case ["file", "gone"]:
            (out / "D.png").unlink()
        case ["file", "touched"]:
            picture(out / "D.png", 0.9)
        case ["sheet", "touched"]:
            (out / "A.blend.json").write_text((out / "A.blend.json").read_text().replace("Blended", "Front"))
        case ["display"]:
            doc = doc.model_copy(update={"lighting": doc.lighting.model_copy(update={"blending": "display"})})
        case ["recipe"]:
            more["recipe"] = recipe_named("surface")
        case ["program"]:
            monkeypatch.setattr(keys, "_program", lambda: "another version")
        case ["list", "damaged"]:
            tree = json.loads((out / "delivery.json").read_text())
            tree["made_of"] = {k: [1, 2] for k in tree["made_of"]}
            (out / "delivery.json").write_text(json.dumps(tree))
    asked, _ = again((folder, doc), **more)
    assert due <= asked <= due | {"d"}  # c's material reads d
    # In the end it is what a first delivery gives.
    recipe = more.get("recipe") or recipe_named("scene").model_copy(update={"proof": False})
    fresh = deliver_project(doc, Evaluator(folder), folder / "fresh", recipe=recipe)
    for path in (p for d in fresh.overlays for p in (*d.files, d.sheet, *d.others)):
        assert path.read_bytes() == (out / path.name).read_bytes(), path.name
    assert not again((folder, doc), **more)[0]


def test_what_a_recipe_packs_from_another_overlay_and_what_the_proof_shows_are_part_of_it(four):
    folder, doc = four
    feeds = {"red": Feed(take="red"), "green": Feed(take="red", overlay="D"), "blue": Feed(take="blue")}
    packed = DeliveryRecipe(name="Packed", files=(FilePlan(pattern="{name}", channels=feeds),), proof=True)
    again((folder, doc), recipe=packed, only=["a"])
    page = times(folder)
    picture(folder / "b.png", 0.2)
    asked, _ = again((folder, doc), recipe=packed, only=["a"])
    assert times(folder)["A.png"] == page["A.png"]  # b is only in the proof's views
    proofs = {n for n, t in times(folder).items() if t != page[n]}
    assert proofs == {PROOF} and "b" in asked
    picture(folder / "d.png", 0.2)
    again((folder, doc), recipe=packed, only=["a"])
    deliver_project(doc, Evaluator(folder), folder / "fresh", recipe=packed, only=["a"])
    assert (folder / "out" / "A.png").read_bytes() == (folder / "fresh" / "A.png").read_bytes()


def test_motion_and_stage_follow_what_they_are_made_of(four):
    folder, doc = four
    again(four)
    before = times(folder)
    moved = doc.model_copy(update={"effects": tuple(e.model_copy(update={"at": (0.1, 0.6, 0.7)}) for e in doc.effects)})
    again((folder, moved))
    after = times(folder)
    assert {n for n in after if after[n] != before[n]} == {"Puff.motion.json", "motion.check.json"}
    (folder / "out" / "stage.glb").unlink()
    again((folder, moved))
    assert (folder / "out" / "stage.glb").is_file()
    # Only some of them: the list keeps the others, which are made anew when all are asked for.
    again((folder, moved), only=["b"])
    tree = json.loads((folder / "out" / "delivery.json").read_text())
    assert [r["name"] for r in tree["overlays"]] == ["A", "B", "C", "D"] and set(tree["made_of"]) == {"b", "stage"}
    asked, _ = again((folder, moved))
    assert asked == {"a", "c", "d"}


def test_the_demo_is_delivered_again_in_no_time(tmp_path):
    from mivex.demo import PROJECT

    args = ("deliver", PROJECT, tmp_path / "out", "--recipe", "scene")
    begun = time.process_time()
    assert mivex_run(*args).returncode == 0
    first = time.process_time() - begun
    begun = time.process_time()
    done = mivex_run(*args)
    second = time.process_time() - begun
    assert done.returncode == 0 and "92 unchanged" in done.stdout and second < first / 8

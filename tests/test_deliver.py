"""Delivery by recipes, read by other libraries; glTF, KTX 2, motion; the intake against the stage; what is refused."""

import json
import os
import re

import cv2
import numpy as np
import pytest
from PIL import Image
from pygltflib import GLTF2

from mivex.core.base.errors import MivexError
from mivex.core.deliver.project import deliver_project
from mivex.core.intake.compare import difference, draw, survival
from mivex.core.intake.loader import load
from mivex.core.intake.switches import SWITCHES, switched
from mivex.core.layers.model import ChannelSource, Layer, Stack
from mivex.core.material.effects import Glass
from mivex.core.material.material import Finish, Material, Normals
from mivex.core.motion.model import Effect, Emitter
from mivex.core.picture.encode import write_picture
from mivex.core.pixels.blends import BLENDS
from mivex.core.project import delivery_edits
from mivex.core.project.channels import channel_of_overlay
from mivex.core.project.delivery import STOCK, dump_delivery, parse_delivery, recipe_named
from mivex.core.project.document import Delivery, Document, Source
from mivex.core.project.file import dumps, loads
from mivex.core.scene.draw_calls import codes_of, load_scene_inputs, render
from mivex.core.stage.camera import View
from mivex.core.stage.lights import Lighting
from mivex.core.stage.placements_model import Around, BillboardPlace, HullPlace, PanelPlace, ShapePlace, SurfacePlace


def codes(path):
    """Codes of a picture as Pillow reads them, (h, w, channels)."""
    with Image.open(path) as picture:
        made = np.asarray(picture)
    return made[..., None] if made.ndim == 2 else made


def panel(o, *, z=1.6, **more):
    """An overlay that faces the first camera on a panel."""
    return o.model_copy(update={"places": (PanelPlace(id=f"p{o.id}", at=(0.0, 1.3, z), width=1.2, height=1.2),)} | more)


def test_every_channel_lies_where_the_recipe_says_and_other_readers_find_it(made):
    folder, o, evaluator = made
    recipe = parse_delivery(
        {
            "files": [
                {
                    "pattern": "{name}",
                    "channels": {
                        "red": {"take": "blue"},
                        "green": {"take": "opacity", "invert": True},
                        "blue": {"take": "number", "value": 0.2},
                        "alpha": {"take": "red"},
                    },
                },
                {
                    "pattern": "{kind}_{name}",
                    "holds": "data",
                    "format": "tif",
                    "bits": 16,
                    "channels": {
                        "red": {"take": "roughness", "invert": True},
                        "green": {"take": "metal"},
                        "blue": {"take": "grey"},
                    },
                },
                {"pattern": "one", "holds": "data", "format": "tga", "bits": 8, "channels": {"red": {"take": "opacity"}}},
                {
                    "pattern": "half",
                    "size": 8,
                    "channels": {
                        "red": {"take": "red"},
                        "green": {"take": "green"},
                        "blue": {"take": "blue"},
                        "alpha": {"take": "opacity"},
                    },
                },
            ]
        },
        "r",
    )
    done = deliver_project(Document(overlays=(o,)), evaluator, folder / "out", recipe=recipe).overlays[0]
    source = codes(folder / "a.png").astype(int)
    mixed = codes(folder / "out" / "Tag.png").astype(int)
    assert np.array_equal(mixed[..., 0], source[..., 2]) and np.array_equal(mixed[..., 3], source[..., 0])
    assert np.array_equal(mixed[..., 1], 255 - source[..., 3]) and set(np.unique(mixed[..., 2])) == {51}
    packed = cv2.imread(str(folder / "out" / "sprite_Tag.tif"), cv2.IMREAD_UNCHANGED)[..., ::-1]
    doc, path = Document(overlays=(o,)), str(folder / "p.mivex")
    for lane, name in ((0, "roughness"), (1, "metal")):
        meant = channel_of_overlay(path, doc, o, name)[0][..., 0]
        meant = 1 - meant if name == "roughness" else meant
        assert packed.dtype == np.uint16 and np.abs(packed[..., lane] / 65535 - meant).max() < 1.5 / 255
    linear = np.where((s := source[..., :3] / 255) <= 0.04045, s / 12.92, ((s + 0.055) / 1.055) ** 2.4)
    grey = linear @ [0.2126, 0.7152, 0.0722]
    grey = np.where(grey <= 0.0031308, grey * 12.92, 1.055 * grey ** (1 / 2.4) - 0.055)
    assert np.abs(packed[..., 2] / 65535 - grey).max() < 2e-5
    assert codes(folder / "out" / "one.tga").shape[2] == 1
    assert np.array_equal(codes(folder / "out" / "one.tga")[..., 0], source[..., 3])
    # A smaller picture: colour is averaged with alpha as its weight.
    a = source[..., 3:] / 255
    blocks = lambda v: v.reshape(8, 4, 8, 4, -1).mean(axis=(1, 3))  # noqa: E731
    meant = blocks(linear * a) / np.maximum(blocks(a), 1e-9)
    half = codes(folder / "out" / "half.png") / 255
    seen = np.where(half[..., :3] <= 0.04045, half[..., :3] / 12.92, ((half[..., :3] + 0.055) / 1.055) ** 2.4)
    assert np.abs(half[..., 3] - blocks(a)[..., 0]).max() < 0.51 / 255
    assert np.abs(np.where(blocks(a) > 0.02, seen - meant, 0)).max() < 0.006
    rows = {(c.file, c.channel): c for c in done.table}
    assert len(rows) == 12 and all(c.difference == 0 for c in rows.values())
    assert rows[("Tag.png", "green")].source == "1 − opacity"
    sheet = json.loads(done.sheet.read_text())
    assert sheet["surface"]["roughness"] == {"file": "sprite_Tag.tif", "channel": "red", "invert": True}


def test_masks_normals_and_distances_are_delivered(made, rng):
    folder, o, evaluator = made
    flat = np.dstack([np.full((16, 16, 1), 0.5), np.full((16, 16, 1), 200 / 255), np.full((16, 16, 1), 230 / 255)])
    write_picture(folder / "n.png", flat.astype(np.float32), data=True)
    o = o.model_copy(
        update={
            "material": Material(finish=Finish(normal=Normals(source="file", path="n.png", green="down"))),
            "layers": Stack(rows=(Layer(id="m", name="M", cells={"colour": ChannelSource(value=(1, 0, 0))}),)),
        }
    )
    recipe = parse_delivery(
        {
            "files": [
                {
                    "pattern": "{name}_n",
                    "holds": "data",
                    "green": "up",
                    "channels": {"red": {"take": "normal_x"}, "green": {"take": "normal_y"}, "blue": {"take": "normal_z"}},
                },
                {"pattern": "{name}_m", "holds": "data", "channels": {"red": {"take": "mask", "layer": 1}}},
                {"pattern": "{name}_d", "holds": "data", "channels": {"red": {"take": "distance"}}},
            ]
        },
        "r",
    )
    made_ = deliver_project(Document(overlays=(o,)), evaluator, folder / "out", recipe=recipe).overlays[0]
    # Its green points down; delivered upwards it is turned over.
    assert codes(folder / "out" / "Tag_n.png")[0, 0].tolist() == [128, 55, 230]
    assert (codes(folder / "out" / "Tag_m.png") == 255).all()
    away = codes(folder / "out" / "Tag_d.png")[..., 0].astype(float)
    alpha = codes(folder / "a.png")[..., 3] / 255
    assert (away[alpha > 0.6] > 127).all() and (away[alpha < 0.4] < 128).all()
    assert made_.left_out == ("colour",)
    # Overlays of one recipe have layers in different numbers: a mask that is not there is black, and no file of its own.
    files = [{"pattern": "{name}", "always": True, "channels": {"red": {"take": "mask", "layer": 3}}}]
    files.append({"pattern": "{name}_none", "channels": {"red": {"take": "mask", "layer": 3}}})
    deliver_project(Document(overlays=(o,)), evaluator, folder / "x", recipe=parse_delivery({"files": files}, "r"))
    assert codes(folder / "x" / "Tag.png").max() == 0 and not (folder / "x" / "Tag_none.png").exists()
    for bad, words in (
        ({"files": [{"pattern": "a/b"}]}, "file name"),
        ({"files": [{"pattern": "x", "format": "tga", "bits": 16}]}, "8"),
        ({"files": [{"pattern": "x", "channels": {"green": {"take": "red"}}}]}, "one channel"),
        ({"files": [{"pattern": "x", "colour": 1}]}, "no setting"),
        ({"files": []}, "nothing"),
        ([], "not a"),
        ({"delivery": 9, "files": []}, "newer"),
        ({"files": [{"pattern": "x"}, {"pattern": "x"}]}, "same name"),
    ):
        with pytest.raises(MivexError, match=words):
            parse_delivery(bad, "“r.json”")
    for r in STOCK.values():
        assert parse_delivery(json.loads(dump_delivery(r)), "r") == r
    doc = Document(deliveries=(STOCK["masks"].model_copy(update={"name": "Ours"}),))
    assert loads(json.loads(dumps(doc)), "p") == doc


def both(folder, doc, evaluator, view):
    """A delivery and its stage from one camera: received, codes of the one, codes of the other."""
    textures, meshes = load_scene_inputs(doc, evaluator)
    received = load(folder)
    return received, draw(received, view), codes_of(render(doc, textures, view, meshes), doc)


PLACES = (
    HullPlace(id="hull", along=-0.6, around=14.0, width=1.6, height=1.0),
    PanelPlace(id="panel", at=(-0.8, 1.2, 1.9), yaw=15.0, width=0.9, height=0.9),
    BillboardPlace(id="board", at=(0.9, 0.9, 1.8), width=0.8, height=0.8),
)


@pytest.mark.parametrize("recipe", ["surface", "scene"])
def test_the_intake_draws_what_the_stage_draws_under_every_blend(made, recipe):
    folder, o, evaluator = made
    wish = recipe_named(recipe).model_copy(update={"proof": False})
    doc = None
    for blend, b in BLENDS.items():
        m = Material(blend=blend, depth_write=b.writes_depth, group=b.group, opacity=0.8, tint=(1.0, 0.7, 0.5), nudge=1)
        doc = Document(
            overlays=(o.model_copy(update={"material": m, "places": PLACES}),),
            effects=(Effect(name="Puffs", at=(0.3, 0.4, 2.0), parts=(Emitter(name="P", overlay="o"),)),),
        )
        out = folder / blend
        deliver_project(doc, evaluator, out, recipe=wish)
        view = View(doc.cameras[0], 320, 200, 1.0)
        received, a, b_ = both(out, doc, evaluator, view)
        assert (np.abs(a.astype(int) - b_).max(axis=2) <= 2).mean() >= 0.999, blend
        assert difference(a, b_).figures["within"] >= 0.999
        bare = codes_of(render(doc.model_copy(update={"overlays": (), "effects": ()}), {}, view), doc)
        assert (np.abs(b_.astype(int) - bare).max(axis=2) > 8).mean() > 0.03, "something is seen at all"
        assert received.doc.effects[0].parts == doc.effects[0].parts and not received.left_out
    assert doc is not None and (folder / "Solid" / "delivery.json").exists()


def test_each_switch_does_what_it_says(made, rng):
    folder, o, evaluator = made
    v = np.full((64, 64, 4), 1.0, np.float32)
    v[..., :3] = np.rint(np.array([0.5, 0.25, 0.8]) * 255) / 255
    v[..., 3] = np.rint(np.array(0.5) * 255) / 255
    write_picture(folder / "flat.png", v)
    n = np.full((64, 64, 3), 128 / 255, np.float32)
    n[..., 1:] = [200 / 255, 225 / 255]
    write_picture(folder / "n.png", n, data=True)
    finish = Finish(normal=Normals(source="file", path="n.png"))
    m = Material(lit=False, finish=finish)
    doc = Document(
        overlays=(
            panel(
                o.model_copy(
                    update={"layers": Stack(), "source": Source(path="flat.png", meaning="colour"), "material": m}
                ),
                z=2.6,
            ),
        ),
        around=Around(),
        lighting=Lighting(exposure=0.0),
    )
    deliver_project(doc, evaluator, folder / "out", recipe=recipe_named("surface"))
    view = View(doc.cameras[0], 320, 200)
    received = load(folder / "out")
    plain = draw(received, view).astype(int)
    bare = draw(switched(received, frozenset()), view).astype(int)
    assert np.array_equal(plain, bare)

    def linear(overlay_doc):
        return render(overlay_doc, received.textures, view, received.meshes).colour

    empty = received.doc.model_copy(update={"overlays": ()})
    back, over = linear(empty)[..., :3], linear(received.doc)[..., :3]
    seen = np.abs(over - back).max(axis=2) > 1e-3
    assert seen.mean() > 0.05

    def drawn(*keys):
        r = switched(received, frozenset(keys), 16)
        return render(r.doc, r.textures, view, r.meshes).colour[..., :3], r

    c = v[0, 0, :3].astype(float)
    light = np.where(c <= 0.04045, c / 12.92, ((c + 0.055) / 1.055) ** 2.4)
    a = float(v[0, 0, 3])
    inside = seen & ~cv2.dilate((~seen).astype(np.uint8), np.ones((3, 3))).astype(bool)
    assert np.abs(over - (a * light + (1 - a) * back))[inside].max() < 2e-3
    # Read without decoding, the stored value is taken for light.
    assert np.abs(drawn("no-encoding")[0] - (a * c + (1 - a) * back))[inside].max() < 2e-3
    # Solid: nothing shows through.
    assert np.abs(drawn("opaque")[0] - light)[inside].max() < 2e-3

    def display(x):
        return np.where(x <= 0.0031308, x * 12.92, 1.055 * np.clip(x, 1e-9, None) ** (1 / 2.4) - 0.055)

    mixed, _ = drawn("display")
    assert np.abs(display(mixed) - (a * c + (1 - a) * display(back)))[inside].max() < 4e-3
    small = drawn("smaller")[1]
    assert {t.width for t in small.textures.values()} == {16} and np.abs(drawn("smaller")[0] - over)[inside].max() < 2e-3
    flipped = drawn("green")[1].textures["file:data:Tag_normal.png"].values
    assert flipped[0, 0].tolist() == pytest.approx([128 / 255, 55 / 255, 225 / 255, 1.0], abs=1e-6)
    assert np.abs(drawn("blocks")[0] - over)[inside].max() < 0.01 and np.array_equal(drawn("own-mips")[0], over)
    table = survival(received)
    assert [r.overlay for r in table] == ["Tag"] and set(table[0].figures) == {s.key for s in SWITCHES}
    assert not table[0].survives("opaque") and not table[0].survives("no-encoding") and table[0].survives("own-mips")


def test_unchanged_files_are_left_alone_sources_are_safe_and_names_do_not_meet(made):
    folder, o, evaluator = made
    doc = Document(overlays=(panel(o, delivery=Delivery(recipe="scene")),))
    first = deliver_project(doc, evaluator, folder / "out")
    every = sorted((folder / "out").iterdir())
    for p in every:
        os.utime(p, (1, 1))
    again = deliver_project(doc, evaluator, folder / "out")
    assert {p.name for p in every} == {p.name for p in (folder / "out").iterdir()} and len(first.overlays[0].files) == 3
    assert all(p.stat().st_mtime == 1 for p in every) and not any(c.back.fresh for c in again.overlays[0].table)
    assert first.proof is not None and "data:image/png;base64," in first.proof.read_text()
    assert "http" not in first.proof.read_text().replace("http-equiv", "")
    # Delivered into the project's own folder, a picture would be written over.
    same = Document(overlays=(o.model_copy(update={"name": "a"}),))
    with pytest.raises(MivexError, match="made of"):
        deliver_project(same, evaluator, folder)
    other = o.model_copy(update={"id": "x", "name": "Tag_orm"})
    with pytest.raises(MivexError, match="both be written"):
        deliver_project(Document(overlays=(o, other)), evaluator, folder / "two")
    # A second delivery of one overlay keeps the first one's in the list.
    both_ = Document(overlays=(o, o.model_copy(update={"id": "x", "name": "Second"})))
    deliver_project(both_, evaluator, folder / "list")
    deliver_project(both_, evaluator, folder / "list", only=("x",))
    assert [r["name"] for r in json.loads((folder / "list" / "delivery.json").read_text())["overlays"]] == ["Tag", "Second"]


ODD = (b"-1", b"0", b"1e308", b"1e999", b"NaN", b"null", b'"x"', b"[]", b"{}", b"123456789012345678901234567890", b"true")


def test_a_damaged_delivery_is_one_sentence(made, rng):
    folder, o, evaluator = made
    doc = Document(
        overlays=(panel(o, delivery=Delivery(recipe="scene", format="ktx2")),),
        effects=(Effect(name="Puffs", parts=(Emitter(name="P", overlay="o"),)),),
    )
    deliver_project(doc, evaluator, folder / "out", recipe=recipe_named("scene").model_copy(update={"proof": False}))
    for_others = {"stage.glb", "environment.npy", "reflectance.npy"}
    files = sorted(p for p in (folder / "out").iterdir() if p.name not in for_others)  # the intake reads none of these
    for path in files:
        good = path.read_bytes()
        for _ in range(12):
            bad = bytearray(good)
            for at in rng.integers(0, len(bad), 3):
                bad[at] = rng.integers(0, 256)
            if rng.random() < 0.3:
                bad = bad[: int(rng.integers(0, len(bad)))]
            if path.suffix == ".json" and rng.random() < 0.5:
                # A number that is none, or is out of all bounds.
                numbers = list(re.finditer(rb"-?\d+(\.\d+)?", good))
                m = numbers[int(rng.integers(0, len(numbers)))]
                bad = good[: m.start()] + ODD[int(rng.integers(0, len(ODD)))] + good[m.end() :]
            path.write_bytes(bytes(bad))
            try:
                r = load(folder / "out")
                draw(r, View(r.doc.cameras[0], 32, 20))
            except MivexError as e:
                assert "\n" not in str(e) and str(e).endswith(".")
        path.unlink()
        if path.suffix != ".json" or "blend" in path.name:
            with pytest.raises(MivexError):
                load(folder / "out")
        path.write_bytes(good)
    load(folder / "out")


def test_a_stock_recipe_that_is_changed_becomes_the_projects_own(made):
    _, o, _ = made
    doc = Document(overlays=(o, o.model_copy(update={"id": "x", "name": "Other"})))
    one = delivery_edits.changed(doc, "o", lambda r: delivery_edits.with_more(r, 1))
    assert [r.name for r in one.deliveries] == ["Whole surface, changed"] and not one.overlays[1].delivery.recipe
    two = delivery_edits.changed(one, "o", lambda r: delivery_edits.without_file(r, 1))
    assert len(two.deliveries) == 1 and len(two.deliveries[0].files) == len(one.deliveries[0].files) - 1
    named = delivery_edits.changed(two, "o", lambda r: r.model_copy(update={"name": "Ours"}))
    assert named.overlays[0].delivery.recipe == "Ours" and recipe_named("Ours", named.deliveries).files
    gone = o.model_copy(update={"delivery": Delivery(recipe="gone")})
    assert delivery_edits.recipe_of(named, gone).name == "Whole surface"
    with pytest.raises(ValueError, match="one channel"):
        delivery_edits.changed(doc, "o", lambda r: delivery_edits.with_file(r, 0, channels={"green": {"take": "red"}}))


def test_placements_of_two_overlays_may_share_an_id(made):
    folder, o, evaluator = made
    rows = []
    for k, form in enumerate(("box", "crossed")):
        place = ShapePlace(id="one", form=form, at=(-0.6 + 1.2 * k, 0.8, 1.8), width=0.6, height=0.6)
        rows.append(o.model_copy(update={"id": f"o{k}", "name": f"Tag {k}", "places": (place,)}))
    doc = Document(overlays=tuple(rows))
    deliver_project(doc, evaluator, folder / "out", recipe=recipe_named("scene"))
    _, a, b = both(folder / "out", doc, evaluator, View(doc.cameras[0], 320, 200, 0.0))
    assert (np.abs(a.astype(int) - b).max(axis=2) <= 2).mean() >= 0.999


@pytest.mark.parametrize("lift", [True, False])
def test_decals_are_lifted_for_viewers_that_know_no_bias_and_laid_back_by_the_intake(made, lift):
    folder, o, evaluator = made
    place = SurfacePlace(id="floor", at=(0.4, 0.0, 2.0), yaw=0.0, pitch=90.0, width=0.8, height=0.8)
    material = Material(group="Decal", depth_bias=8.0)
    glass = Material(glass=Glass(on=True, thickness=0.1, body="solid"), lit=True)
    pane = o.model_copy(update={"id": "g", "name": "Pane", "material": glass, "places": PLACES[1:2]})
    doc = Document(overlays=(o.model_copy(update={"places": (place, PLACES[1]), "material": material}), pane))
    deliver_project(doc, evaluator, folder / "out", recipe=recipe_named("scene").model_copy(update={"lift": lift}))
    tree = GLTF2().load(str(folder / "out" / "Tag.glb"))
    said = [n.extras["mivex"].get("lifted_metres", 0) for n in tree.nodes]
    assert said == ([0.008, 0] if lift else [0, 0])
    low = [tree.accessors[tree.meshes[n.mesh].primitives[0].attributes.POSITION].min[1] for n in tree.nodes]
    assert low[0] == pytest.approx(0.008 if lift else 0.0, abs=1e-5)
    received = load(folder / "out")
    assert abs(next(iter(received.meshes.values())).position[:, 1]).max() < 1e-5
    _, a, b = both(folder / "out", doc, evaluator, View(doc.cameras[0], 320, 200, 0.0))
    assert (np.abs(a.astype(int) - b).max(axis=2) <= 2).mean() >= 0.99
    # One of the two: alpha, and no transmission beside it.
    pane_tree = GLTF2().load(str(folder / "out" / "Pane.glb"))
    assert pane_tree.materials[0].alphaMode == "BLEND" and set(pane_tree.materials[0].extensions) == {"KHR_materials_ior"}

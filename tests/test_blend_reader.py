"""The reader that may be copied draws deliveries as the stage does: a second twin, made of what was delivered alone."""

import subprocess
import sys
from pathlib import Path

import numpy as np
import pytest
from sprites import disc, paint, rgba
from test_page import effects_scene, overlay

from mivex.core.deliver.project import deliver_project
from mivex.core.picture.encode import picture_bytes, write_picture
from mivex.core.pixels.blends import BLENDS
from mivex.core.project.delivery import STOCK
from mivex.core.project.document import Delivery, Document, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.scene.draw_calls import codes_of, load_scene_inputs, render
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.lights import Lighting
from mivex.core.stage.placements_model import Around, PanelPlace, ShapePlace
from mivex.reader.delivery import chain_of, halved, picture, png, tga, tif
from mivex.reader.delivery import read as read_delivery
from mivex.reader.renderer import draw

SIZE = (240, 150)
CAMERA = Camera(name="Front", target=(0.0, 1.3, 0.4), yaw=12.0, pitch=6.0, distance=4.2)


def delivered(doc: Document, folder: Path, form: str = "png") -> tuple[Document, Evaluator, Path]:
    """A document whose overlays show one sprite, and where it was delivered."""
    values = np.rint(rgba(paint(96), disc(96)) * 255) / 255
    write_picture(folder / "sprite.png", values.astype(np.float32), 8)
    rows = (
        o.model_copy(update={"source": Source(path="sprite.png"), "delivery": Delivery(format=form)}) for o in doc.overlays
    )
    doc = doc.model_copy(update={"overlays": tuple(rows)})
    evaluator = Evaluator(folder)
    recipe = STOCK["surface"].model_copy(update={"gltf": "glb"})
    deliver_project(doc, evaluator, folder / "out", recipe=recipe)
    return doc, evaluator, folder / "out"


def agree(doc: Document, evaluator: Evaluator, out: Path) -> None:
    textures, meshes = load_scene_inputs(doc, evaluator)
    meant = codes_of(render(doc, textures, View(doc.cameras[0], *SIZE), meshes), doc).astype(int)
    delivery = read_delivery(out)
    off = np.abs(draw(delivery, delivery["stage"]["cameras"][0], *SIZE) - meant).max(axis=2)
    assert (off <= 1).mean() >= 0.999 and off.mean() < 0.05, ((off <= 1).mean(), off.max())
    # Whatever an overlay changes is right as well, not only what stands round it.
    for o in doc.overlays:
        without = doc.model_copy(update={"overlays": tuple(x for x in doc.overlays if x.id != o.id)})
        changed = (
            np.abs(codes_of(render(without, textures, View(doc.cameras[0], *SIZE), meshes), doc) - meant).max(axis=2) > 1
        )
        assert changed.sum() > 20, o.name
        assert (off[changed] <= 1).mean() >= 0.99, (o.name, (off[changed] <= 1).mean())


@pytest.mark.parametrize(("blending", "form"), [("linear", "png"), ("display", "tga")])
def test_every_blend_is_drawn_from_the_files_alone(tmp_path: Path, blending: str, form: str) -> None:
    rows = []
    for k, name in enumerate(BLENDS):
        for lit in (False, True):
            place = PanelPlace(
                at=(-1.5 + 0.5 * k, 1.75 - 0.75 * lit, 0.9 + 0.03 * k), width=0.62, height=0.62, yaw=10.0 * (k - 3)
            )
            rows.append(overlay(f"{name} {'lit' if lit else 'unlit'}", place, blend=name, lit=lit, opacity=0.85))
    light = Lighting(blending=blending, exposure=0.3, curve="soft", environment="spots", turn=40.0)
    doc = Document(overlays=tuple(rows), cameras=(CAMERA,), lighting=light)
    agree(*delivered(doc, tmp_path, form))


def test_effects_decals_billboards_and_order_are_drawn_from_the_files_alone(tmp_path: Path) -> None:
    doc, _ = effects_scene()
    refracts = overlay(
        "bends",
        PanelPlace(at=(1.2, 0.6, 1.2), width=0.5, height=0.5, yaw=20.0),
        lit=True,
        glass={"on": True, "thickness": 0.05},
    )
    box = overlay(
        "box", ShapePlace(form="box", at=(-1.4, 0.5, 1.3), width=0.4, height=0.4, depth=0.4), lit=False, depth_first=True
    )
    agree(*delivered(doc.model_copy(update={"overlays": (*doc.overlays, refracts, box)}), tmp_path))


def test_surroundings_of_the_artist_are_read_turned_and_scaled(tmp_path: Path) -> None:
    corners = np.array([[-2, 0, -2], [2, 0, -2], [2, 0, 2], [-2, 0, 2], [-2, 3, -2], [2, 3, -2]], float)
    (tmp_path / "room.obj").write_text(
        "".join(f"v {x} {y} {z}\n" for x, y, z in corners) + "f 4 3 2 1\nf 1 2 6 5\n", encoding="utf-8"
    )
    around = Around(path="room.obj", scale=0.8, turn=25.0, grey=0.4)
    row = overlay("pane", PanelPlace(at=(0.0, 1.0, 0.3), width=0.9, height=0.9), lit=True)
    doc = Document(overlays=(row,), cameras=(CAMERA,), around=around)
    agree(*delivered(doc, tmp_path))


def test_pictures_of_every_form_are_read_texel_by_texel(rng: np.random.Generator, tmp_path: Path) -> None:
    for h, w in ((1, 1), (5, 7), (64, 33)):
        for lanes in (3, 4):
            codes = rng.integers(0, 256, (h, w, lanes))
            values = (codes / 255).astype(np.float32)
            for ending, reads in ((".png", png), (".tga", tga), (".tif", lambda d: tif(d)[0])):
                got = reads(picture_bytes(ending, values, 8))
                assert np.array_equal(np.rint(got[..., :lanes] * 255), codes), (ending, h, w, lanes)
        deep = rng.integers(0, 65536, (h, w, 4))
        got = png(picture_bytes(".png", (deep / 65535).astype(np.float32), 16))
        assert np.array_equal(np.rint(got * 65535), deep)
    # Levels: exact areas, by a slow sum.
    level = rng.random((5, 7, 4))
    small = halved(level)
    assert small.shape == (2, 3, 4)
    for y in range(2):
        for x in range(3):
            total = np.zeros(4)
            for j in range(5):
                for i in range(7):
                    wide = max(0.0, min(i + 1, (x + 1) * 7 / 3) - max(i, x * 7 / 3))
                    total += level[j, i] * wide * max(0.0, min(j + 1, (y + 1) * 2.5) - max(j, y * 2.5))
            assert np.allclose(small[y, x], total / (7 / 3 * 2.5))
    assert [v.shape[:2] for v in chain_of([level], False)] == [(5, 7), (2, 3), (1, 1)]
    with pytest.raises(ValueError, match="reads"):
        picture(tmp_path / "x.exr", True)


def test_the_command_compares_a_delivery_with_its_pictures(tmp_path: Path) -> None:
    row = overlay("pane", PanelPlace(at=(0.0, 1.0, 1.0), width=0.9, height=0.9), lit=True)
    doc = Document(overlays=(row,), cameras=(CAMERA,))
    doc, evaluator, out = delivered(doc, tmp_path)
    deliver_project(doc, evaluator, out, recipe=STOCK["scene"])
    assert (out / "check_1.png").is_file()
    told = subprocess.run(
        [sys.executable, "-m", "mivex.reader", str(out)], capture_output=True, text=True, check=True
    ).stdout
    share = float(told.split("Front: ")[1].split("%")[0])
    assert share >= 99.9
    again = deliver_project(doc, evaluator, out, recipe=STOCK["scene"])
    assert again.proof is not None and (out / "check_1.png").is_file()

"""What a delivered file holds: the depth that its recipe asks for, rounded once; levels; mappings; light as stored."""

import json

import numpy as np
import pygltflib
import pytest
import tifffile
from test_project import mivex_run

from mivex.core.material.material import Mapping, Material
from mivex.core.picture import ktx2
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture, read_stored
from mivex.core.prepare import STEPS
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.file import write_project
from mivex.core.stage.placements_model import BillboardPlace, PanelPlace


def delivered(tmp_path, overlay, files, **more):
    write_project(tmp_path / "p.mivex", Document(overlays=(overlay,)))
    (tmp_path / "r.json").write_text(json.dumps({"name": "R", "files": files, **more}))
    done = mivex_run("deliver", str(tmp_path / "p.mivex"), str(tmp_path / "out"), "--recipe", str(tmp_path / "r.json"))
    assert done.returncode == 0, done.stderr
    return json.loads((tmp_path / "out" / "One.blend.json").read_text())


def rgba(**of):
    return {k: {"take": v} for k, v in {"red": "red", "green": "green", "blue": "blue", "alpha": "opacity", **of}.items()}


def faded(tmp_path, bits):
    """A picture whose alpha a step bends: far more values than eight bits hold."""
    y, x = np.mgrid[:48, :64] / 63
    values = np.dstack([x, y, 0.5 + 0 * x, (0.3 * x + 0.7 * y) * 0.9]).astype(np.float32)
    write_picture(tmp_path / "one.png", values, bits)
    step = STEPS["levels"].params(step="levels", gamma=1.7, out_white=0.83)
    return Overlay(id="one", name="One", source=Source(path="one.png"), steps=(step,)), read_picture(
        tmp_path / "one.png"
    ).values


@pytest.mark.parametrize("bits", [8, 16])
def test_each_file_rounds_once_to_the_depth_that_its_recipe_asks_for(tmp_path, bits):
    overlay, stored = faded(tmp_path, bits)
    files = [
        {"pattern": "{name}_fine", "format": "png", "bits": 16, "channels": rgba()},
        {"pattern": "{name}_plain", "format": "png", "bits": 8, "channels": rgba()},
        {"pattern": "{name}_data", "format": "png", "bits": 16, "holds": "data", "channels": rgba()},
        {"pattern": "{name}_tiff", "format": "tif", "bits": 16, "channels": rgba()},
        {
            "pattern": "{name}_three",
            "format": "ktx2",
            "bits": 8,
            "holds": "data",
            "channels": {k: v for k, v in rgba().items() if k != "alpha"},
        },
    ]
    sheet = delivered(tmp_path, overlay, files)
    want = stored.astype(np.float64)
    want[..., 3] = 0.83 * np.clip(want[..., 3], 0, 1) ** (1 / 1.7)
    for name, top in (("fine", 65535), ("plain", 255), ("data", 65535)):
        got = read_picture(tmp_path / "out" / f"One_{name}.png")
        assert got.bits == (16 if top > 255 else 8)
        # Once rounded, no value is more than half a step off.
        assert np.abs(got.values * top - want * top).max() < 0.51, name
    rows = {f["file"]: f for f in sheet["files"]}
    assert rows["One_data.png"]["holds"] == "data" and rows["One_fine.png"]["bits"] == 16
    assert b"sRGB" not in (tmp_path / "out" / "One_data.png").read_bytes()[:200]
    # All mip levels, as promised; three channels as four.
    with tifffile.TiffFile(tmp_path / "out" / "One_tiff.tif") as t:
        assert len(t.pages) == rows["One_tiff.tif"]["levels"] == 7
    three = ktx2.decode((tmp_path / "out" / "One_three.ktx2").read_bytes(), "t")
    assert three.levels[0].shape[2] == 4 and three.levels[0][..., 3].min() == 255


@pytest.mark.parametrize("turn", [0.0, 30.0, -75.0])
@pytest.mark.parametrize("place", [PanelPlace(id="a"), BillboardPlace(id="a")])
def test_a_turned_mapping_is_applied_once_whoever_reads(tmp_path, turn, place):
    overlay, _ = faded(tmp_path, 8)
    mapping = Mapping(across=1.5, down=0.8, turn=turn, right=0.1, low=-0.2)
    overlay = overlay.model_copy(update={"places": (place,), "material": Material(mapping=mapping)})
    sheet = delivered(tmp_path, overlay, [{"pattern": "{name}", "format": "png", "channels": rgba()}], gltf="glb")
    tree = pygltflib.GLTF2().load(str(tmp_path / "out" / "One.glb"))

    def floats(number):
        a = tree.accessors[number]
        v = tree.bufferViews[a.bufferView]
        data = tree.binary_blob()[(v.byteOffset or 0) + (a.byteOffset or 0) :]
        return np.frombuffer(data, np.float32, a.count * 2).reshape(-1, 2)

    at = tree.meshes[0].primitives[0].attributes
    used = tree.materials[0].pbrMetallicRoughness.baseColorTexture
    uv = floats(getattr(at, f"TEXCOORD_{used.texCoord or 0}")).astype(float)
    moved = (used.extensions or {}).get("KHR_texture_transform", {})
    assert "rotation" not in moved  # readers turn either way
    uv = uv * moved.get("scale", (1, 1)) + np.array(moved.get("offset", (0, 0)))
    rows = np.array(sheet["surface"]["uv_rows"])
    told = floats(at.TEXCOORD_0) @ rows[:, :2].T + rows[:, 2]
    assert np.abs(uv - told).max() < 1e-5
    want = np.array([[*r] for r in mapping.rows])
    assert np.abs(rows - want).max() < 1e-5


def test_light_is_written_compared_and_read_as_it_is_stored(tmp_path):
    light = np.zeros((6, 6, 4), np.float32)
    light[..., :3], light[..., 3] = 3.0, 1e-6  # a glow before nothing
    light[0, 0], light[1, 1], light[2, 2] = (90000, 1, 0, 1), (2, 1, 0, 0), (np.inf, -4, 0, 0.5)
    write_picture(tmp_path / "light.exr", light, 32)
    assert np.array_equal(read_stored(tmp_path / "light.exr"), light)
    assert np.isfinite(read_picture(tmp_path / "light.exr").values).all()

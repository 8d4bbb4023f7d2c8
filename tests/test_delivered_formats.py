"""Files of a delivery as other readers find them: KTX 2, glTF, motion, block compression."""

import io
import json
import struct

import cv2
import numpy as np
import pytest
import trimesh
from PIL import Image
from test_deliver import codes, panel
from test_project import mivex_run

from mivex.core.deliver.gltf import tangents
from mivex.core.deliver.motion_file import MotionFile
from mivex.core.deliver.project import deliver_project
from mivex.core.deliver.schemas import BlendSheet, DeliveryList
from mivex.core.intake.loader import load
from mivex.core.layers.model import Stack
from mivex.core.material.material import Finish, Material
from mivex.core.motion.model import Effect, Emitter
from mivex.core.pixels.blends import BLENDS
from mivex.core.pixels.blocks import compressed
from mivex.core.project.delivery import recipe_named
from mivex.core.project.document import Delivery, Document
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.file import read_project, write_project
from mivex.core.stage.dock import dock
from mivex.demo import PROJECT


def ktx(data):
    """A KTX 2 file by the letter of its specification: format, levels, transfer function, flags, channel of each sample."""
    assert data[:12] == b"\xabKTX 20\xbb\r\n\x1a\n"
    number, size, w, h, d, layers, faces, count, packed = struct.unpack_from("<9I", data, 12)
    at, length = struct.unpack_from("<2I", data, 48)
    assert (d, layers, faces, packed) == (0, 0, 1, 0) and struct.unpack_from("<I", data, at)[0] == length
    levels, ends = [], []
    for k in range(count):
        begin, wanted, whole = struct.unpack_from("<3Q", data, 80 + 24 * k)
        assert wanted == whole and begin % 4 == 0
        levels.append(
            np.frombuffer(data, np.uint8 if size == 1 else np.uint16, wanted // size, begin).reshape(
                max(1, h >> k), max(1, w >> k), -1
            )
        )
        ends.append(begin)
    assert ends == sorted(ends, reverse=True)
    samples = [data[at + 28 + 16 * k + 3] for k in range((length - 28) // 16)]
    return number, levels, data[at + 14], data[at + 15], samples


def test_ktx_holds_every_level_with_colour_weighed_by_alpha(made):
    folder, o, evaluator = made
    o = o.model_copy(update={"layers": Stack(), "delivery": Delivery(format="ktx2")})
    deliver_project(Document(overlays=(o,)), evaluator, folder / "out")
    number, levels, transfer, flags, samples = ktx((folder / "out" / "Tag.ktx2").read_bytes())
    assert (number, transfer, flags) == (43, 2, 0) and [s & 15 for s in samples] == [0, 1, 2, 15] and samples[3] == 31
    source = codes(folder / "a.png")
    assert np.array_equal(levels[0], source) and [v.shape[0] for v in levels] == [32, 16, 8, 4, 2, 1]
    s = source / 255
    linear = np.where(s[..., :3] <= 0.04045, s[..., :3] / 12.92, ((s[..., :3] + 0.055) / 1.055) ** 2.4)
    p, a = linear * s[..., 3:], s[..., 3:]
    for level in levels[1:]:
        half = lambda v: v.reshape(len(v) // 2, 2, len(v) // 2, 2, -1).mean(axis=(1, 3))  # noqa: E731
        p, a = half(p), half(a)
        seen = level / 255
        light = np.where(seen[..., :3] <= 0.04045, seen[..., :3] / 12.92, ((seen[..., :3] + 0.055) / 1.055) ** 2.4)
        assert np.abs(seen[..., 3:] - a).max() < 0.51 / 255
        assert np.abs(np.where(a > 0.02, light - p / np.maximum(a, 1e-9), 0)).max() < 0.006
    # Levels that a receiver loads are the very ones of the file.
    received = load(folder / "out")
    t = received.textures[received.doc.overlays[0].id]
    assert t.mips.levels == 6 and np.abs(t.mips.level(2)[..., 3] * 255 - levels[2][..., 3]).max() < 1e-3


def test_gltf_is_read_by_others_with_the_right_materials(made, rng):
    import pygltflib
    import trimesh

    folder, o, evaluator = made
    base = panel(o, layers=Stack(), delivery=Delivery(recipe="scene"))
    rows = []
    for k, blend in enumerate(BLENDS):
        m = Material(blend=blend, lit=k % 2 == 0, cutoff=0.3, both_faces=k != 1, opacity=0.75, tint=(1.0, 0.5, 0.2))
        rows.append(base.model_copy(update={"id": f"o{k}", "name": f"B{blend}", "material": m}))
    glow = Material(
        finish=Finish.model_validate(
            {"glow": {"strength": 3.0, "colour": [1, 0.5, 0]}, "roughness": {"source": "own", "channel": "red"}}
        )
    )
    rows.append(base.model_copy(update={"id": "glow", "name": "Glow", "material": glow}))
    rows.append(
        base.model_copy(
            update={
                "id": "other",
                "name": "Other",
                "variant_of": "glow",
                "own": ("opacity",),
                "material": glow.model_copy(update={"opacity": 0.5}),
            }
        )
    )
    deliver_project(Document(overlays=tuple(rows)), evaluator, folder / "out")
    modes = {"Solid": "OPAQUE", "Cutout": "MASK"}
    for o_ in rows[:7]:
        g = pygltflib.GLTF2().load(str(folder / "out" / f"{o_.name}.glb"))
        m = g.materials[0]
        assert m.alphaMode == modes.get(o_.material.blend, "BLEND") and m.doubleSided == o_.material.both_faces
        assert m.alphaCutoff == (0.3 if m.alphaMode == "MASK" else None) or m.alphaMode != "MASK"
        assert ("KHR_materials_unlit" in (m.extensions or {})) == (not o_.material.lit)
        factor = m.pbrMetallicRoughness.baseColorFactor
        assert factor[1] == pytest.approx(0.2140411, abs=1e-6) and factor[3] == (1.0 if m.alphaMode == "OPAQUE" else 0.75)
        assert m.extras["mivex"]["blend"] == o_.material.blend
        view = g.bufferViews[g.images[g.textures[m.pbrMetallicRoughness.baseColorTexture.index].source].bufferView]
        png = g.binary_blob()[view.byteOffset : view.byteOffset + view.byteLength]
        picture = cv2.imdecode(np.frombuffer(png, np.uint8), cv2.IMREAD_UNCHANGED)[..., [2, 1, 0, 3]]
        assert np.array_equal(picture, codes(folder / "a.png"))
        scene = trimesh.load(folder / "out" / f"{o_.name}.glb")
        mesh = next(iter(scene.geometry.values()))
        assert np.allclose(mesh.bounds, [[-0.6, 0.7, 1.6], [0.6, 1.9, 1.6]], atol=1e-6) and len(mesh.faces) == 2
        # trimesh counts v upwards: the top left corner of the panel reads the top left of the picture.
        corner = np.argmin(np.abs(mesh.vertices - [-0.6, 1.9, 1.6]).sum(axis=1))
        assert np.allclose(mesh.visual.uv[corner], [0, 1], atol=1e-6)
        assert np.allclose(mesh.face_normals, [[0, 0, 1]] * 2)
    g = pygltflib.GLTF2().load(str(folder / "out" / "Glow.glb"))
    m = g.materials[0]
    assert m.extensions["KHR_materials_emissive_strength"]["emissiveStrength"] == pytest.approx(3.0)
    assert m.emissiveFactor == pytest.approx([1.0, 0.2140411, 0.0], abs=1e-6)
    assert m.pbrMetallicRoughness.metallicRoughnessTexture.index == m.occlusionTexture.index
    assert [v["name"] for v in g.extensions["KHR_materials_variants"]["variants"]] == ["Glow", "Other"]
    assert g.materials[1].pbrMetallicRoughness.baseColorFactor[3] == 0.5
    # As parts: the same tree, pictures and geometry beside it.
    parts = recipe_named("scene").model_copy(update={"gltf": "gltf", "proof": False})
    deliver_project(Document(overlays=(rows[3],)), evaluator, folder / "parts", recipe=parts)
    scene = trimesh.load(folder / "parts" / "BTranslucent.gltf")
    assert np.allclose(scene.bounds, [[-0.6, 0.7, 1.6], [0.6, 1.9, 1.6]], atol=1e-6)
    # Tangents of a quad by hand: right is +x, and green, which is up the picture, is normal × tangent × sign.
    corners = np.array([[0, 1, 0], [1, 1, 0], [1, 0, 0], [0, 0, 0]], float)
    n, uv = np.tile([0.0, 0, 1], (4, 1)), np.array([[0, 0], [1, 0], [1, 1], [0, 1]], float)
    index = np.array([[0, 3, 2], [0, 2, 1]])
    assert np.allclose(tangents(corners, n, uv, index), [[1, 0, 0, 1]] * 4)
    assert np.allclose(tangents(corners, n, uv * [-1, 1], index), [[-1, 0, 0, -1]] * 4)


def test_blocks_share_two_colours_and_two_alphas(rng):
    v = np.zeros((4, 8, 4), np.float32)
    v[..., :3] = np.array([255, 0, 0]) / 255
    v[:, 2:, :3] = np.array([0, 0, 255]) / 255
    v[:2, 4:, :3] = 1.0
    v[..., 3] = np.rint(np.linspace(0, 1, 8) * 255) / 255
    out = np.rint(compressed(v) * 255).astype(int)
    # Two colours that 5, 6 and 5 bits hold come back as they were.
    assert np.array_equal(out[..., :3], np.rint(v[..., :3] * 255))
    off = np.abs(out[..., 3] - v[..., 3] * 255)
    assert off.max() <= 109 / 14 + 0.5 and (off[:, [0, 3, 4, 7]] < 0.51).all(), "ends are exact"
    y, x = np.mgrid[:37, :50]
    smooth = np.stack([x / 49, y / 36, (x + y) / 85, np.hypot(x - 25, y - 18) / 40], axis=2).astype(np.float32)
    made = compressed(smooth)
    held = io.BytesIO()
    Image.fromarray(np.rint(smooth[:36, :48] * 255).astype(np.uint8), "RGBA").save(held, "DDS", pixel_format="BC3")
    other = np.asarray(Image.open(io.BytesIO(held.getvalue()))) / 255
    off = [np.sqrt(((m[:36, :48] - smooth[:36, :48]) ** 2).mean()) for m in (made, other)]
    assert made.shape == smooth.shape and off[0] <= off[1] and np.abs(made - smooth)[..., 3].max() < 3.5 / 255


def test_motion_files_follow_their_schema_and_the_command_line_tells_all(made):
    folder, o, _ = made
    effect = Effect(name="Puffs", parts=(Emitter(name="P", overlay="o"),))
    copy = Effect(name="Copy", copy_of=effect.id, seed=5)
    doc = Document(overlays=(panel(o),), effects=(effect, copy))
    write_project(folder / "p.mivex", doc)
    result = mivex_run("deliver", "p.mivex", "out", "--recipe", "scene", "--json", cwd=folder)
    told = json.loads(result.stdout)
    assert result.returncode == 0 and {c["difference"] for c in told["read_back"]} == {0}
    assert len(told["motion"]) == 2 and told["proof"].endswith("proof.html")
    made_ = MotionFile.model_validate_json((folder / "out" / "Copy.motion.json").read_text())
    assert made_.effect.parts == effect.parts and made_.sheets == {"o": "Tag.blend.json"}
    assert made_.bounds[0] < made_.bounds[1]
    for kind in ("project", "recipe", "delivery", "motion"):
        schema = json.loads(mivex_run("schema", "--of", kind, cwd=folder).stdout)
        assert "properties" in schema
    result = mivex_run(
        "intake", "out", "v.png", "--against", "p.mivex", "--size", "160x100", "--switch", "opaque", "--json", cwd=folder
    )
    words = json.loads(result.stdout)
    assert result.returncode == 0 and words["overlays"] == 1 and words["switched"]["within"] < 0.995
    assert words["against"]["within"] == pytest.approx(words["switched"]["within"], abs=0.005)
    for args, said in (
        (("deliver", "p.mivex", "o2", "--recipe", "none"), "no delivery recipe"),
        (("deliver", "p.mivex", "o2", "--overlay", "none"), "no overlay"),
        (("intake", "none"), "no folder"),
        (("intake", "."), "no delivery"),
        (("intake", "out", "--switch", "x"), "no switch"),
        (("schema", "--of", "x"), "no schema"),
    ):
        result = mivex_run(*args, cwd=folder)
        assert result.returncode == 2 and said in result.stderr and len(result.stderr.splitlines()) == 1, args


def test_what_is_delivered_follows_its_schemas_with_every_value_written_out(tmp_path):
    """The whole demo, and the stage beside it as a reader of somebody else's sees it."""
    deliver_project(
        read_project(PROJECT),
        Evaluator(PROJECT.parent),
        tmp_path,
        recipe=recipe_named("scene").model_copy(update={"proof": False}),
    )
    sheets = sorted(tmp_path.glob("*.blend.json"))
    assert len(sheets) > 30
    for path in sheets:
        sheet = BlendSheet.model_validate_json(path.read_text())
        if "glass" in sheet.effects:
            assert {"frost", "body", "edge_share"} <= set(sheet.effects["glass"])
    listed = json.loads((tmp_path / "delivery.json").read_text())
    DeliveryList.model_validate(listed)
    assert {"exposure", "curve", "blending", "shadows"} <= set(listed["stage"]["lighting"])
    stage = trimesh.load(tmp_path / listed["stage"]["geometry"])
    there = {n: g for n, g in ((stage.graph[n][1], stage.geometry[stage.graph[n][1]]) for n in stage.graph.nodes_geometry)}
    assert set(there) == {"crate", "bow", "hull", "floor", "dark wall", "bright wall"}
    for solid in dock().solids:
        mine, theirs = solid.mesh, there[solid.name]
        assert np.allclose(np.array(theirs.bounds), np.array(mine.bounds), atol=1e-5)
        assert theirs.visual.material.baseColorTexture is not None
    for of in ("sheet", "list", "motion", "delivery", "limits", "recipe", "project"):
        told = json.loads(mivex_run("schema", "--of", of).stdout)
        assert told["type"] == "object" and told["properties"], of

"""Meshes from files, and what is laid on surfaces of any shape."""

import json
import math
import struct

import numpy as np
import pytest

from mivex.core.base.errors import MivexError
from mivex.core.findings import SceneSubject, examine_scene
from mivex.core.material.material import Mapping, Material
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay
from mivex.core.project.file import dumps, loads, relocated
from mivex.core.scene.draw_calls import build_environment, place_mesh, render
from mivex.core.stage import placement_geometry as placing
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.dock import dock
from mivex.core.stage.geometry import hull_point
from mivex.core.stage.mesh import quad
from mivex.core.stage.meshes import read_mesh
from mivex.core.stage.placements_model import Around, HullPlace, MeshPlace, SurfacePlace
from mivex.core.stage.surface_projection import lay

CORNERS = np.array([[0, 0, 0], [2, 0, 0], [2, 1, 0], [0, 1, 0]], np.float32)
UV = np.array([[0, 1], [1, 1], [1, 0], [0, 0]], np.float32)  # 0, 0 at the top left, as glTF and we count


def obj(path, uv=True, normals=True):
    rows = [f"v {x} {y} {z}" for x, y, z in CORNERS]
    rows += [f"vt {u} {1 - v}" for u, v in UV] if uv else []  # OBJ counts v from below
    rows += ["vn 0 0 1"] if normals else []
    one = "/".join(["{0}", "{0}" if uv else "", "1" if normals else ""]).rstrip("/")
    rows += ["f " + " ".join(one.format(i) for i in face) for face in ((1, 2, 3), (1, 3, 4))]
    path.write_text("\n".join(rows) + "\n")
    return path


def glb(path, sets=2, break_at=None):
    """A file of one panel, written out byte by byte."""
    arrays = [("POSITION", CORNERS, "VEC3"), ("NORMAL", np.tile(np.float32([0, 0, 1]), (4, 1)), "VEC3")]
    arrays += [(f"TEXCOORD_{i}", (UV if i == 0 else UV * np.float32(0.5)), "VEC2") for i in range(sets)]
    index = np.array([0, 1, 2, 0, 2, 3], np.uint16)
    blob, views, accessors = b"", [], []
    for _, a, kind in [*arrays, ("", index, "SCALAR")]:
        views.append({"buffer": 0, "byteOffset": len(blob), "byteLength": a.nbytes})
        accessor = {
            "bufferView": len(views) - 1,
            "componentType": 5126 if a.dtype == np.float32 else 5123,
            "count": len(a),
            "type": kind,
        }
        if kind == "VEC3":
            accessor |= {"min": a.min(0).tolist(), "max": a.max(0).tolist()}
        accessors.append(accessor)
        blob += a.tobytes() + b"\0" * (-a.nbytes % 4)
    tree = {
        "asset": {"version": "2.0"},
        "scene": 0,
        "scenes": [{"nodes": [0]}],
        "nodes": [{"mesh": 0, "translation": [0, 0, 5]}],
        "meshes": [{"primitives": [{"attributes": {n: i for i, (n, _, _) in enumerate(arrays)}, "indices": len(arrays)}]}],
        "buffers": [{"byteLength": len(blob)}],
        "bufferViews": views,
        "accessors": accessors,
    }
    text = json.dumps(tree).encode()
    text += b" " * (-len(text) % 4)
    data = (
        b"glTF"
        + struct.pack("<II", 2, 28 + len(text) + len(blob))
        + struct.pack("<I4s", len(text), b"JSON")
        + text
        + struct.pack("<I4s", len(blob), b"BIN\0")
        + blob
    )
    path.write_bytes(data if break_at is None else data[:break_at])
    return path


def by_place(m):
    """UVs by corner, whatever the order of corners."""
    return {tuple(np.round(p, 4)): tuple(np.round(u, 4)) for p, u in zip(m.position, m.uv0, strict=True)}


def test_every_format_gives_the_same_mesh(tmp_path):
    first = read_mesh(obj(tmp_path / "a.obj"))
    assert first.notes == ()
    binary = read_mesh(glb(tmp_path / "a.glb"))
    assert binary.notes == () and np.allclose(binary.mesh.position[:, 2], 5)  # by its node
    want = {tuple(np.round(p, 4)): tuple(u) for p, u in zip(CORNERS.tolist(), UV.tolist(), strict=True)}
    assert by_place(first.mesh) == want
    assert {(*k[:2], 0.0): v for k, v in by_place(binary.mesh).items()} == want
    assert first.mesh.uv1 is None and np.allclose(binary.mesh.uv1, binary.mesh.uv0 * 0.5)
    for m in (first.mesh, binary.mesh):
        assert np.allclose(m.normal, [0, 0, 1]) and len(m.index) == 2
        a, b, c = m.corners[0]
        assert np.cross(b - a, c - a)[2] > 0
    rows = "\n".join(f"{x} {y} {z}" for x, y, z in CORNERS)
    (tmp_path / "a.ply").write_text(
        "ply\nformat ascii 1.0\nelement vertex 4\nproperty float x\nproperty float y\n"
        "property float z\nelement face 2\nproperty list uchar int vertex_indices\n"
        f"end_header\n{rows}\n3 0 1 2\n3 0 2 3\n"
    )
    bare = read_mesh(tmp_path / "a.ply")
    assert len(bare.notes) == 2 and "normals" in bare.notes[0] + bare.notes[1]
    assert np.allclose(bare.mesh.normal, [0, 0, 1])
    # Made UVs: a metre to a picture, upright.
    made = by_place(bare.mesh)
    assert made[(2.0, 1.0, 0.0)][0] - made[(0.0, 1.0, 0.0)][0] == 2 and made[(0.0, 0.0, 0.0)][1] > made[(0.0, 1.0, 0.0)][1]


@pytest.mark.parametrize(
    ("name", "holds"),
    [
        ("none.obj", None),
        ("cut.glb", 60),
        ("cut.glb", 700),
        ("e.obj", b"# nothing\n"),
        ("x.stl", b"solid"),
        ("b.gltf", b"{]"),
        ("n.obj", b"v 0 0 nan\nv 1 0 0\nv 0 1 0\nf 1 2 3\n"),
        ("r.ply", bytes(range(256)) * 9),
        ("o.obj", b"v 0 0 0\nf 1 2 9\n"),
    ],
)
def test_a_mesh_that_cannot_be_read_is_one_sentence(tmp_path, name, holds):
    path = tmp_path / name
    if isinstance(holds, int):
        glb(path, break_at=holds)
    elif holds is not None:
        path.write_bytes(holds)
    with pytest.raises(MivexError) as said:
        read_mesh(path)
    assert str(said.value).endswith(".") and "\n" not in str(said.value) and len(str(said.value)) < 300


def test_laying_over_a_surface_keeps_lengths_and_lies_on_it():
    """On the hull it comes to lie where the closed form of the cylinder puts it, to within its facets."""
    meshes = dock().meshes
    view = View(Camera(name="c"), 64, 48)
    for along, around, roll, w, h, pivot in (
        (0.1, 26.0, 15.0, 1.5, 0.8, (0.5, 0.5)),
        (-1.2, -20.0, -40.0, 0.6, 1.1, (0.2, 0.9)),
    ):
        place = HullPlace(along=along, around=around, width=w, height=h, roll=roll)
        want = placing.mesh(place, view, pivot).position.reshape(13, 13, 3)
        at, n = hull_point(np.array(along), np.array(around))
        points, normals = lay(meshes, at, n, roll, (w, h), pivot)
        assert np.abs(points - want).max() < 0.006
        steps = np.linalg.norm(np.diff(points, axis=0), axis=2)
        assert steps == pytest.approx(h / 12, rel=2e-3)
        assert np.linalg.norm(normals, axis=2) == pytest.approx(1)


def test_a_decal_finds_the_crate_and_hangs_over_its_edge():
    floor = quad(np.array([[-1.0, 0, -1], [1, 0, -1], [1, 0, 1], [-1, 0, 1]]))
    points, normals = lay([floor], np.array([0.8, 0.3, 0.0]), np.array([0.0, 1, 0]), 0, (1.0, 0.4), (0.5, 0.5))
    assert np.allclose(points[..., 1], 0, atol=1e-9) and np.allclose(normals, [0, 1, 0])
    assert points[0, 0, 0] == pytest.approx(0.3) and points[0, -1, 0] == pytest.approx(1.3)  # straight on, beyond the edge
    # It is seen there, and slides with the pointer.
    t = Texture(np.full((8, 8, 4), [1, 0, 1, 1], np.float32), meaning="data")
    place = SurfacePlace(id="s", at=(0.5, 0.2, 1.0), pitch=90.0, width=0.8, height=0.8)
    o = Overlay(id="o", name="o", material=Material(lit=False, group="Decal", depth_bias=8), places=(place,))
    view = View(Camera(name="v", target=(0.5, 0, 1), pitch=50, distance=3), 120, 90)
    seen = render(Document(overlays=(o,)), {"o": t}, view).colour
    there = (seen[..., 0] == 1) & (seen[..., 1] == 0)
    want = (0.8 * view.focal / 3) ** 2 * math.sin(math.radians(50))
    assert there.sum() == pytest.approx(want, rel=0.06)
    change = placing.moved(place, view, (60, 45), (80, 45), build_environment(Document()))
    assert change["at"][1] == pytest.approx(0, abs=1e-6) and change["pitch"] == pytest.approx(90, abs=0.01)
    assert change["at"][0] > 0.5


def test_a_mesh_carries_an_overlay_and_stands_round_others(tmp_path):
    path = str(glb(tmp_path / "m.glb"))
    loaded = read_mesh(path).mesh
    o = Overlay(
        id="o",
        name="o",
        material=Material(lit=False, blend="Solid", group="Solid", depth_write=True),
        places=(MeshPlace(id="m", path=path, at=(0, 1, 1), width=2.0),),
    )
    ramp = np.zeros((64, 64, 4), np.float32)
    ramp[..., 0], ramp[..., 3] = np.linspace(0, 1, 64), 1
    view = View(Camera(name="v", target=(0, 1, 1), yaw=0, pitch=0, distance=3), 160, 100)
    doc = Document(overlays=(o,))
    got = render(doc, {"o": Texture(ramp, meaning="data")}, view, {path: loaded}).colour
    half = round(view.focal / 3) - 2  # two metres across, three away
    row = got[50, 80 - half : 80 + half, 0]
    assert np.all(np.diff(row) > 0) and row[half] == pytest.approx(0.5, abs=0.03)
    # Not read yet: the overlay is not there, and nothing fails.
    assert np.isfinite(render(doc, {"o": Texture(ramp, meaning="data")}, view).colour).all()
    # As surroundings, turned and larger; an overlay's decal finds it.
    around = doc.model_copy(update={"around": Around(path=path, scale=2.0)})
    solids = build_environment(around, {path: loaded}).surroundings.solids
    assert len(solids) == 1 and np.ptp(solids[0].mesh.position[:, 0]) == pytest.approx(4.0)
    assert loads(json.loads(dumps(around)), "p") == around
    assert relocated(around, tmp_path, tmp_path.parent).around.path == f"{tmp_path.name}/m.glb"


def test_reading_a_uv_set_that_is_not_there_is_found_and_mended(tmp_path):
    one, two = (read_mesh(glb(tmp_path / f"m{n}.glb", sets=n)).mesh for n in (1, 2))
    m = Material(mapping=Mapping(uv_set=1))
    for mesh, count in ((one, 1), (two, 0)):
        o = Overlay(id="o", name="Emblem", material=m, places=(MeshPlace(path="m", at=(0, 1, 0)),))
        doc = Document(overlays=(o,))
        world = build_environment(doc, {"m": mesh})
        found = examine_scene(SceneSubject(doc, {}, lambda p, w=world: place_mesh(p, w), lambda d, view: []))
        assert len(found) == count
        if found:
            assert found[0].overlays == ("o",) and found[0].place.camera == "Dock"
            assert found[0].repair(doc).overlays[0].material.mapping.uv_set == 0


def test_corners_that_no_face_uses_cost_an_obj_neither_its_uvs_nor_the_order_of_its_faces(tmp_path):
    rows = ["v 9 9 9", *(f"v {x} {y} 0" for y in (1, 0, -1) for x in (-1, 0, 1)), "vt 0.5 0.5", "vt 0.9 0.1"]
    rows += [f"vt {x / 2} {y / 2}" for y in (2, 1, 0) for x in (0, 1, 2)]
    faces = [(1, 4, 5), (1, 5, 2), (2, 5, 6), (2, 6, 3), (4, 7, 8), (4, 8, 5), (5, 8, 9), (5, 9, 6)]
    rows += ["f " + " ".join(f"{k + 1}/{k + 2}" for k in f) for f in faces]
    (tmp_path / "m.obj").write_text("\n".join(rows) + "\n")
    found = read_mesh(tmp_path / "m.obj")
    mesh = found.mesh
    assert len(mesh.index) == 8 and not any("UV" in words for words in found.notes)
    at = mesh.position[mesh.index]
    want = np.array([[(((k - 1) % 3) - 1, 1 - (k - 1) // 3, 0) for k in f] for f in faces], float)
    assert np.allclose(at, want)
    assert np.allclose(mesh.uv0[mesh.index], np.stack([(want[..., 0] + 1) / 2, 1 - (want[..., 1] + 1) / 2], axis=-1))

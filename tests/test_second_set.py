"""A second UV set made here: laid flat against a hand-worked projection, unwrapped, drawn, saved, chosen by clicks."""

import json

import cv2
import drive
import numpy as np
import pytest
import trimesh
from PySide6.QtCore import QPoint
from PySide6.QtWidgets import QPushButton

from mivex.core.evaluation.results import scene_subject
from mivex.core.findings import examine_scene
from mivex.core.material.material import Mapping, Material
from mivex.core.picture.texture import Texture
from mivex.core.project import edits
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.file import dumps, loads
from mivex.core.scene.draw_calls import render
from mivex.core.stage.baking import spots_of
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.face_selection import islands
from mivex.core.stage.mesh import Mesh, quad
from mivex.core.stage.placements_model import Around, MeshPlace, SecondSet
from mivex.core.stage.primitives import box, cylinder
from mivex.core.stage.second_uv_set import AWAY, with_second
from mivex.ui.shell.app import wait_until_idle

CRATE = box(2.0, 1.0, 1.0)  # its first two triangles are the front


def test_faces_laid_flat_fill_the_picture_as_they_look_along_their_mean_normal():
    mesh = with_second(CRATE, "0-1", "flat")
    assert np.allclose(mesh.position[mesh.index], CRATE.corners) and np.allclose(
        mesh.uv0[mesh.index], CRATE.uv0[CRATE.index]
    )
    at, uv = mesh.corners[:2], mesh.uv1[mesh.index[:2]]
    # 2 m by 1 m, fitted by its longer side, in the middle; v runs down.
    assert np.allclose(uv[..., 0], at[..., 0] / 2 + 0.5) and np.allclose(uv[..., 1], 0.5 - at[..., 1] / 2)
    assert (mesh.uv1[mesh.index[2:]] == AWAY).all()
    # Two faces at a right angle are looked at along the middle of both.
    both = with_second(CRATE, "0-1,4-5", "flat")
    n = np.array([1, 0, 2.0]) / np.sqrt(5)  # front of 2 m², side of 1 m²
    right = np.array([n[2], 0, -n[0]])
    x = both.corners[[0, 1, 4, 5]] @ right
    span = x.max() - x.min()
    want = (x - (x.max() + x.min()) / 2) / span + 0.5
    assert np.allclose(both.uv1[both.index[[0, 1, 4, 5]]][..., 0], want)


def test_unwrapped_faces_nearly_keep_their_shape():
    tube = cylinder(1.0, 1.0)
    mesh = with_second(tube, "", "unwrapped")
    uv = mesh.uv1[mesh.index]
    assert uv.min() >= 0 and uv.max() <= 1
    e, f = uv[:, 1] - uv[:, 0], uv[:, 2] - uv[:, 0]
    flat = np.abs(e[:, 0] * f[:, 1] - e[:, 1] * f[:, 0]) / 2
    a, b, c = (mesh.corners[:, k] for k in range(3))
    true = np.linalg.norm(np.cross(b - a, c - a), axis=1) / 2
    ratio = flat / true
    assert ratio.std() < 0.1 * ratio.mean() and len(mesh.index) == len(tube.index)


def test_a_logo_reads_it_and_no_finding_is_left():
    left = np.zeros((8, 8, 4), np.float32)
    left[1:7, 1:4] = (1, 0, 0, 1)
    textures = {"o": Texture(left)}

    def doc(**second):
        place = MeshPlace(id="m", path="crate.obj", at=(0, 1, 0), width=2.0, second=SecondSet(**second))
        o = Overlay(
            id="o",
            name="Logo",
            kind="logo",
            source=Source(canvas=(2, 2)),
            places=(place,),
            material=Material(lit=False, mapping=Mapping(uv_set=1)),
        )
        return Document(overlays=(o,), around=Around(path="none.obj"), cameras=(camera,))

    camera = Camera(name="c", target=(0, 1, 0), yaw=0, pitch=0, distance=5)
    view, meshes = View(camera, 120, 96), {"crate.obj": CRATE}
    assert {f.id for f in examine_scene(scene_subject(doc(), textures, meshes))} >= {"uv-missing"}
    made = doc(how="flat", faces="0-1")
    assert "uv-missing" not in {f.id for f in examine_scene(scene_subject(made, textures, meshes))}
    red = render(made, textures, view, meshes).colour
    seen = red[..., 0] - red[..., 1] > 0.3
    # The picture's left half, from 1/8 to 4/8 across, on the front at z = 0.5: x from −0.75 to 0.
    corners = view.on_screen(np.array([(-0.75, 1, 0.5), (0, 1, 0.5)]))[:, 0]
    x = np.nonzero(seen.any(axis=0))[0]
    assert abs(x.min() - corners[0]) < 3 and abs(x.max() + 1 - corners[1]) < 3
    assert loads(json.loads(dumps(made)), "p") == made and '"second"' not in dumps(doc())


@pytest.mark.parametrize("by", ["Faces", "Parts"])
def test_its_faces_are_chosen_on_the_stage(window, tmp_path, by):
    trimesh.creation.box((1, 1, 1)).export(tmp_path / "crate.obj")
    s, stage = window.session, window.stage.canvas
    key = []

    def add(d):
        d, k = edits.add_blank(d, "Logo", "logo", (64, 64))
        key.append(k)
        place = MeshPlace(id="m", path=str(tmp_path / "crate.obj"), at=(0.0, 1.0, 2.0), second=SecondSet(how="flat"))
        return edits.set_fields(d, k, "", places=(place,))

    s.apply("Add", add)
    s.choose(key[0], "m")
    window.go("place")
    stage.look(Camera(name="Near", target=(0.0, 1.0, 2.0), yaw=0.0, pitch=0.0, distance=3.0))
    wait_until_idle(window)
    next(b for b in window.controls.findChildren(QPushButton) if b.text() == by).click()
    wait_until_idle(window)
    assert stage.choose_face is not None and window.flat.canvas.mesh is not None
    middle = QPoint(stage.width() // 2, stage.height() // 2)
    drive.click(stage, middle)
    wait_until_idle(window)
    faces = s.overlay.places[0].second.faces
    assert faces and (faces == "0-11") == (by == "Parts")
    drive.click(stage, middle)
    wait_until_idle(window)
    assert not s.overlay.places[0].second.faces and s.undo_label == "Choose faces"
    window.go("blend")
    assert stage.choose_face is None


def test_the_picture_is_moved_turned_and_scaled_on_the_uvs_by_its_frame(window, tmp_path):
    trimesh.creation.box((1, 1, 1)).export(tmp_path / "crate.obj")
    s, flat = window.session, window.flat.canvas
    key = []

    def add(d):
        d, k = edits.add_blank(d, "Logo", "logo", (64, 64))
        key.append(k)
        place = MeshPlace(id="m", path=str(tmp_path / "crate.obj"), at=(0.0, 1.0, 2.0), second=SecondSet(how="flat"))
        return edits.set_fields(edits.set_fields(d, k, "", places=(place,)), k, "material", mapping=Mapping(uv_set=1))

    s.apply("Add", add)
    s.choose(key[0], "m")
    window.arrange("both")
    window.go("place")
    wait_until_idle(window)
    w = flat.on_screen[0]
    assert flat.mapping == Mapping(uv_set=1)

    def at(x, y):
        return QPoint(round(flat.corner[0] + x * w), round(flat.corner[1] + y * w))

    def now():
        return s.overlay.material.mapping

    # The UVs' middle is brought to a place of the picture: there that place of it is seen.
    drive.drag(flat, at(0.5, 0.5), at(0.7, 0.4))
    wait_until_idle(window)
    assert abs(now().right + 0.2) < 2 / w and abs(now().low - 0.1) < 2 / w
    # The whole square of the UVs takes half of the picture, either way.
    drive.drag(flat, at(1.2, 0.9), at(0.95, 0.65))
    wait_until_idle(window)
    assert abs(now().across - 0.5) < 4 / w and abs(now().down - 0.5) < 4 / w
    # Its right arm is turned upwards: u then runs upwards, by what a hand-made turn of the corners says.
    drive.drag(flat, at(0.95, 0.4), at(0.7, 0.15))
    wait_until_idle(window)
    (a, b, c), (d, e, f) = now().rows
    assert now().turn == 90 and np.allclose([a, d], [0, -0.5], atol=4 / w) and np.allclose([b, e], [0.5, 0], atol=4 / w)
    assert np.allclose([c + (a + b) / 2, f + (d + e) / 2], [0.7, 0.4], atol=3 / w)
    assert [s.undo_label] == ["Move it on the mesh"]
    for _ in range(3):
        s.undo()
    assert now() == Mapping(uv_set=1)
    window.go("blend")
    assert flat.mapping is None


def uv_cross(mesh):
    a, b, c = (mesh.uv1[mesh.index[:, k]] for k in range(3))
    return (b - a)[:, 0] * (c - a)[:, 1] - (b - a)[:, 1] * (c - a)[:, 0]


@pytest.mark.parametrize("shape", ["quad", "box", "torus", "cylinder"])
def test_unwrapped_faces_are_neither_mirrored_nor_stretched_and_stand_apart(shape):
    if shape == "quad":
        mesh = quad(np.array([[-1.5, 0.5, 0], [1.5, 0.5, 0], [1.5, -0.5, 0], [-1.5, -0.5, 0]]))
    else:
        made = {
            "box": lambda: trimesh.creation.box(extents=(1, 2, 3)),
            "torus": lambda: trimesh.creation.torus(1.0, 0.35, major_sections=24, minor_sections=12),
            "cylinder": lambda: trimesh.creation.cylinder(0.4, 2.0, sections=24),
        }[shape]()
        v = np.array(made.vertices)
        mesh = Mesh(v, np.array(made.vertex_normals), np.zeros((len(v), 2)), np.array(made.faces))
    found = with_second(mesh, "", "unwrapped")
    assert (uv_cross(found) < 0).all() and found.uv1.min() >= 0 and found.uv1.max() <= 1
    # Length for length: the same scale along every edge, up and across.
    ratio = []
    for k in range(3):
        i, j = found.index[:, k], found.index[:, (k + 1) % 3]
        long, flat = found.position[i] - found.position[j], found.uv1[i] - found.uv1[j]
        ratio.append(np.linalg.norm(flat, axis=1) / np.linalg.norm(long, axis=1))
    ratio = np.concatenate(ratio)
    assert np.percentile(ratio, 98) / np.percentile(ratio, 2) < (1.01 if shape in ("quad", "box") else 1.5)
    # Islands stand at least some texels apart, at the picture's border too.
    side = 1024
    owner = np.full((side, side), -1)
    spots = spots_of(found, (side, side), 1)
    piece = islands(found, 1)
    owner[spots.rows, spots.columns] = piece[spots.face[spots.rows, spots.columns]]
    for k in np.unique(piece):
        grown = cv2.dilate((owner == k).astype(np.uint8), np.ones((9, 9), np.uint8)) > 0
        assert not (grown & (owner >= 0) & (owner != k)).any()

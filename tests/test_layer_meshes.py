"""Masks from meshes, regions, and channels on the stage."""

import math

import numpy as np
import pytest
import trimesh
from stacks import stacked, surface

from mivex.core.base.errors import MivexError, Stopped
from mivex.core.layers.views import channel_picture
from mivex.core.prepare import STEPS
from mivex.core.project import edits
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.layering import EvaluationRequest
from mivex.core.stage.baking import Probe, geometry_mask, overlap, spots_of
from mivex.core.stage.creases import curvature
from mivex.core.stage.face_selection import faces_of, faces_text, grown, islands, picked, region_mask
from mivex.core.stage.mesh import Mesh, joined, quad, sheet
from mivex.core.stage.meshes import read_mesh
from mivex.core.stage.placements_model import MeshPlace


def corner(height=0.5):
    """A long floor and a wall of that height behind it, side by side in the picture."""
    n = 40
    floor = quad(np.array([[-n, 0, 0], [n, 0, 0], [n, 0, 1], [-n, 0, 1.0]]), (0, 0, 1, 0.5))
    wall = quad(np.array([[-n, height, 0], [n, height, 0], [n, 0, 0], [-n, 0, 0.0]]), (0, 0.5, 1, 1))
    return joined([floor, wall])


def test_geometry_masks_against_closed_forms():
    # What a floor sees of a long wall: ½ (1 − d / √(d² + h²)) of its sky is shut in at a distance d.
    got = geometry_mask(corner(), Probe("occlusion", reach=4, rays=512), (64, 16))[:32, 8]
    d = (np.arange(32) + 0.5) / 32
    assert np.abs(got - 0.5 * (1 - d / np.hypot(d, 0.5))).max() < 0.012
    ball = trimesh.creation.icosphere(4, radius=0.7)
    sphere = Mesh(
        np.array(ball.vertices), np.array(ball.vertex_normals), np.zeros((len(ball.vertices), 2)), np.array(ball.faces)
    )
    assert np.allclose(curvature(sphere) * 0.7, 1, atol=0.03)
    t, y = np.meshgrid(np.linspace(0, math.tau, 97), np.linspace(3, 0, 40))
    around = np.stack([np.cos(t), 0 * t, -np.sin(t)], axis=2)
    tube = sheet(0.5 * around + y[..., None] * [0, 1, 0], around, np.stack([t / math.tau, 1 - y / 3], axis=2))
    round_ = np.zeros(t.size)
    round_[tube.index] = curvature(tube)
    assert np.allclose(round_.reshape(t.shape)[4:-4], 1.0, atol=0.01)
    # Position runs evenly down the tube, softness takes its ends away; facing is the cosine.
    ramp = geometry_mask(tube, Probe("position", axis="down"), (64, 64))[:, 30]
    assert np.allclose(ramp, (np.arange(64) + 0.5) / 64, atol=0.01)
    late = geometry_mask(tube, Probe("position", axis="up", low=0.5, high=1.0), (64, 64))[:, 30]
    assert np.allclose(late, np.clip(1 - (np.arange(64) + 0.5) / 32, 0, 1), atol=0.02)
    facing = geometry_mask(tube, Probe("facing", axis="right"), (8, 64))[4]
    assert np.allclose(facing, np.clip(np.cos((np.arange(64) + 0.5) / 64 * math.tau), 0, 1), atol=0.01)
    # A wall of 0.1 in a mesh whose rays look 0.4 far: straight through it is near, slanted a little farther.
    slab = trimesh.creation.box((4, 4, 0.1))
    uv = np.array(slab.vertices)[:, :2] / 4 + 0.5
    thin = geometry_mask(
        Mesh(np.array(slab.vertices), np.array(slab.vertices), uv, np.array(slab.faces)),
        Probe("thickness", reach=0.1, rays=128),
        (16, 16),
    )
    assert 0.4 < thin[8, 8] < 0.75
    with pytest.raises(Stopped):
        geometry_mask(corner(), Probe("occlusion"), (64, 64), stop=lambda: True)


def test_regions_islands_and_growing():
    m = corner()
    assert len(set(islands(m))) == 2 and list(picked(m, 0, "island")) == [0, 1] and list(picked(m, 2, "face")) == [2, 3]
    assert list(picked(m, 0, "part")) == [0, 1, 2, 3] and list(grown(m, np.array([0, 1]), 1)) == [0, 1, 2, 3]
    assert list(grown(m, np.array([0, 1, 2, 3]), -1)) == [0, 1, 2, 3]
    r = region_mask(m, "0-1", (32, 16))
    assert r[:15].min() == 1 and r[17:].max() == 0
    assert region_mask(m, "0-1,900", (32, 16)).sum() == r.sum()


def test_a_mesh_gives_masks_kept_beside_the_project_and_its_absence_is_said(tmp_path):
    box = trimesh.creation.box((1, 2, 1))
    box.export(tmp_path / "box.obj")
    rows = [
        {
            "name": "dust",
            "cells": {"metal": {"number": 1.0}},
            "mask": {"parts": [{"source": "geometry", "geometry": {"kind": "occlusion", "rays": 8, "reach": 0.5}}]},
        }
    ]
    doc = stacked(rows)
    doc = edits.add_place(doc, doc.overlays[0].id, MeshPlace(path="box.obj"))
    evaluator = Evaluator(tmp_path)
    evaluator.bakes = tmp_path / "p.bakes"
    first = evaluator.graph.value(evaluator.node_of(doc.overlays[0], EvaluationRequest(doc=doc))).surface.channels["metal"]
    kept = list((tmp_path / "p.bakes").iterdir())
    assert len(kept) == 1 and kept[0].suffix == ".png"
    again = Evaluator(tmp_path)
    again.bakes = tmp_path / "p.bakes"
    assert np.array_equal(
        again.graph.value(again.node_of(doc.overlays[0], EvaluationRequest(doc=doc))).surface.channels["metal"], first
    )
    # A broken bake is made again; another mesh gets another one; a mesh that has gone is said.
    kept[0].write_bytes(b"no")
    third = Evaluator(tmp_path)
    third.bakes = tmp_path / "p.bakes"
    assert np.array_equal(
        third.graph.value(third.node_of(doc.overlays[0], EvaluationRequest(doc=doc))).surface.channels["metal"], first
    )
    (tmp_path / "box.obj").unlink()
    gone = Evaluator(tmp_path).texture(doc.overlays[0], doc)
    assert len(gone.notes) == 1 and "box.obj" in gone.notes[0] and "dust" in gone.notes[0]


def test_channels_go_along_with_steps_that_move_texels_and_to_the_stage():
    rows = [
        {
            "cells": {
                "height": {"source": "pattern", "pattern": {"kind": "stain"}, "number": 0.8, "join": "add"},
                "roughness": {"number": 0.9},
                "emissive": {"colour": (0.4, 0.2, 0.1)},
                "opacity": {"number": 0.7},
            },
            "mask": {"parts": [{"source": "pattern", "pattern": {"kind": "stain"}}]},
        }
    ]
    doc = stacked(rows, kind="decal")
    for step in ({"step": "trim", "alpha": 0.0}, {"step": "pad", "left": 3}, {"step": "resize", "width": 90, "height": 70}):
        params = STEPS[step["step"]].params.model_validate(
            {k: v for k, v in step.items() if k == "step" or k in STEPS[step["step"]].params.model_fields}
        )
        doc = edits.add_step(doc, doc.overlays[0].id, params)
        s = surface(doc)
        for name in ("height", "roughness", "emissive"):
            assert s.channels[name].shape[:2] == s.alpha.shape
        # Where there is opacity there is the roughness that came with it.
        assert float(s.channels["roughness"][s.alpha > 0.69].min()) > 0.85
    t = Evaluator().texture(doc.overlays[0], doc)
    assert {"roughness", "normal", "emissive"} <= set(t.channels) and t.channels["normal"].values.shape == t.values.shape
    up = channel_picture(surface(doc), "normal", doc.overlays[0].layers.relief)
    down = channel_picture(surface(doc), "normal", doc.overlays[0].layers.relief.model_copy(update={"green": "down"}))
    assert np.allclose(up[..., 1] + down[..., 1], 1, atol=1e-6) and np.allclose(up[..., 0], down[..., 0])


def test_normals_follow_a_slope_whatever_the_size():
    # Heights that rise by 1 over the canvas, at strength 8: the slope is 8 · 0.05.
    rows = [
        {
            "cells": {
                "height": {
                    "source": "pattern",
                    "pattern": {"kind": "ramp", "way": "across"},
                    "number": 0.5,
                    "number_low": -0.5,
                    "join": "towards",
                }
            }
        }
    ]
    doc = stacked(rows, relief={"strength": 8.0})
    for side in (64, 256):
        n = channel_picture(surface(doc, side=side), "normal", doc.overlays[0].layers.relief)[side // 2, side // 2] * 2 - 1
        assert np.allclose(n, np.array([-0.4, 0, 1]) / math.hypot(0.4, 1), atol=2e-3)


def test_faces_as_text_and_back_leave_out_what_is_not_there():
    assert faces_of("0-2, 5,4-5", 6).tolist() == [0, 1, 2, 4, 5] and faces_text(faces_of("5,0-2,4", 6)) == "0-2,4-5"
    assert faces_of("3-123456789012345678901234567890", 5).tolist() == [3, 4]
    assert faces_of("123456789012345678901234567890-7,1", 5).tolist() == [1]
    with pytest.raises(MivexError, match="no range of faces"):
        faces_of("1-x", 5)


def cube(cells):
    """A cube of two metres, each side cut into so many cells, its sides apart in the picture."""
    position, uv, index, normal = [], [], [], []
    for k in range(6):
        n, a = np.zeros(3), np.zeros(3)
        n[k // 2], a[(k // 2 + 1) % 3] = 1 - k % 2 * 2, 1
        b = np.cross(n, a)
        for i in range(cells + 1):
            for j in range(cells + 1):
                x, y = i / cells, j / cells
                position.append(n + a * (2 * x - 1) + b * (2 * y - 1))
                uv.append(((k % 3 + 0.05 + 0.9 * x) / 3, (k // 3 + 0.05 + 0.9 * y) / 2))
                normal.append(n)
        at = k * (cells + 1) ** 2
        for i in range(cells):
            for j in range(cells):
                q = at + i * (cells + 1) + j
                index += [(q, q + cells + 1, q + cells + 2), (q, q + cells + 2, q + 1)]
    return Mesh(np.array(position), np.array(normal), np.array(uv), np.array(index))


@pytest.mark.parametrize("cells", [1, 3, 7])
def test_edges_do_not_depend_on_how_finely_a_body_is_cut_nor_bead(cells):
    size = 0.1
    v = geometry_mask(cube(cells), Probe("edges", edge=size), (300, 450))
    # Of the first side: distance to its nearest edge, as a share of it.
    y, x = (np.arange(150) + 0.5) / 150, (np.arange(150) + 0.5) / 150
    x, y = (x - 0.05) / 0.9, (y - 0.05) / 0.9
    inside = ((x > 0) & (x < 1))[None] & ((y > 0) & (y < 1))[:, None]
    far = np.minimum(np.minimum(x, 1 - x)[None], np.minimum(y, 1 - y)[:, None]) * 2  # metres
    want = np.clip(1 - far / (size * 2), 0, 1)
    assert np.abs(v[:150, :150] - want)[inside].max() < 0.02


@pytest.mark.parametrize("off", [0, 300, 1000])
@pytest.mark.parametrize("kind", ["occlusion", "thickness"])
def test_rays_are_as_good_far_from_the_origin(kind, off):
    probe, size = Probe(kind, reach=0.5, rays=32), (48, 96)
    ball = trimesh.creation.uv_sphere(radius=0.6, count=[24, 24])
    v, f = np.array(ball.vertices), np.array(ball.faces)
    uv = np.stack(
        [np.arctan2(v[:, 2], v[:, 0]) / math.tau + 0.5, np.arccos(np.clip(v[:, 1] / 0.6, -1, 1)) / math.pi], axis=1
    )
    here, there = (Mesh(v + np.array([o, 0, -o]), v / 0.6, uv, f) for o in (0, off))
    a, b = geometry_mask(here, probe, size), geometry_mask(there, probe, size)
    assert np.abs(a - b).mean() < 0.004
    # Nothing shuts a ball in; inwards, chords 2 R u with density 2 u make ∫ 2u (1 − 2u) du from 0 to ½ = 1/12.
    assert a[4:-4].mean() < 0.01 if kind == "occlusion" else abs(a[4:-4].mean() - 1 / 12) < 0.02


def test_hollow_faces_are_cut_in_ears_and_uvs_that_overlap_are_told(tmp_path):
    # An L of six corners, from both sides, and as a face of negative indices.
    corners = [(0, 0), (2, 0), (2, 1), (1, 1), (1, 2), (0, 2)]
    for order in (1, -1):
        rows = corners[::order]
        text = "".join(f"v {x} {y} 0\nvt {x / 2} {y / 2}\n" for x, y in rows)
        (tmp_path / "l.obj").write_text(text + "f " + " ".join(f"{k - 6}/{k - 6}" for k in range(6)) + "\n")
        mesh = read_mesh(tmp_path / "l.obj").mesh
        a, b, c = (mesh.corners[:, k] for k in range(3))
        area = np.cross(b - a, c - a)[:, 2] / 2
        assert np.isclose(np.abs(area).sum(), 3) and (np.sign(area) == order).all()
        y, x = np.mgrid[:64, :64]
        spots = spots_of(mesh, (64, 64))
        inside = (x < 32) | (y >= 32)  # v runs upwards in the file, downwards in the picture
        assert (spots.face >= 0)[2:-2, 2:-2].sum() > 0 and ((spots.face >= 0) != inside)[2:30, 34:].mean() < 0.02
        assert overlap(mesh) < 0.01
    twice = joined([quad(np.array([[0, 1, 0], [1, 1, 0], [1, 0, 0], [0, 0, z]], float)) for z in (0.0, 1.0)])
    assert abs(overlap(twice) - 1) < 0.02

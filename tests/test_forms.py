"""Shapes to place on: their points lie where the closed forms say, face outwards, and stand where they are held."""

import json

import numpy as np
import pytest

from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.file import dumps, loads
from mivex.core.scene.draw_calls import build_environment, place_mesh
from mivex.core.stage import primitives as forms
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.placements_model import Around, BillboardPlace, PanelPlace, ShapePlace

EMPTY = build_environment(Document(around=Around(path="none.obj")))


def normals(mesh):
    a, b, c = (mesh.corners[:, k] for k in range(3))
    return np.cross(b - a, c - a)


def area(mesh):
    return np.linalg.norm(normals(mesh), axis=1).sum() / 2


@pytest.mark.parametrize(
    ("mesh", "size", "outwards"),
    [
        (forms.crossed(3, 1.0, 2.0), 3 * 2.0, False),
        (forms.stack(5, 1.0, 2.0, 0.8), 5 * 2.0, False),
        (forms.box(1.0, 2.0, 3.0), 2 * (2 + 3 + 6), True),
        (forms.cylinder(1.0, 2.0), 2 * np.pi, True),
        (forms.curved(1.5, 2.0, 120.0), 3.0, False),
        (forms.dome(1.0, 1.0, 0.5), 2 * np.pi * 0.25, False),
    ],
)
def test_areas_normals_and_uvs(mesh, size, outwards):
    assert abs(area(mesh) - size) < 0.02 * size
    # Faces agree with their normals, and the picture is the right way round: v runs down, u to the right from the front.
    assert (np.einsum("ij,ij->i", normals(mesh), mesh.normal[mesh.index].sum(axis=1)) > 0).all()
    if outwards:
        assert (np.einsum("ij,ij->i", normals(mesh), mesh.corners.mean(axis=1) - mesh.position.mean(axis=0)) > 0).all()
    uv = mesh.uv0[mesh.index]
    (au, av), (bu, bv) = (uv[:, 1] - uv[:, 0]).T, (uv[:, 2] - uv[:, 0]).T
    turn = au * bv - av * bu
    assert (turn < 1e-9).all() and mesh.uv0.min() >= -1e-9 and mesh.uv0.max() <= 1 + 1e-9


def test_points_lie_on_their_surfaces():
    tube = forms.cylinder(1.0, 2.0).position
    assert np.allclose(np.hypot(tube[:, 0], tube[:, 2]), 0.5) and np.ptp(tube[:, 1]) == 2
    bowl = forms.dome(1.0, 0.6, 0.2).position
    assert np.allclose((bowl[:, 0] / 0.5) ** 2 + (bowl[:, 1] / 0.3) ** 2 + (bowl[:, 2] / 0.2) ** 2, 1)
    plate = forms.curved(np.pi / 2, 1.0, 90.0).position  # a quarter of a circle of radius 1, touching z = 0
    assert np.allclose(np.hypot(plate[:, 0], plate[:, 2] + 1), 1) and abs(plate[:, 2].max()) < 1e-12
    panels = forms.crossed(4, 2.0, 1.0).position.reshape(4, 4, 3)
    turns = np.degrees(np.arctan2(-panels[:, 1, 2], panels[:, 1, 0]))
    assert np.allclose(turns, [0, 45, 90, 135])
    depths = forms.stack(3, 1.0, 1.0, 0.8).position[:, 2].reshape(3, 4)
    assert np.allclose(depths, [[-0.4] * 4, [0.0] * 4, [0.4] * 4])
    tall = forms.person(1.8)
    assert abs(tall.position[:, 1].max() - 1.8) < 0.02 and abs(tall.position[:, 1].min()) < 1e-9


def test_held_at_the_foot_and_upright():
    view = View(Camera(name="c", target=(0, 1, 0), yaw=30, pitch=35, distance=4), 64, 48)
    foot = {"pivot": (0.5, 1.0), "at": (1.0, 0.25, -2.0), "height": 0.8}
    for place in (
        ShapePlace(form="crossed", count=2, yaw=40.0, **foot),
        PanelPlace(yaw=15.0, **foot),
        BillboardPlace(upright=True, **foot),
        ShapePlace(form="box", **foot),
    ):
        low, high = place_mesh(place, EMPTY, view).bounds
        assert abs(low[1] - 0.25) < 1e-9 and abs(high[1] - 1.05) < 1e-9
        assert abs((low[0] + high[0]) / 2 - 1) < 1e-9
    flame = place_mesh(BillboardPlace(upright=True, **foot), EMPTY, view).position
    right = flame[1] - flame[0]
    assert abs(right[1]) < 1e-12 and abs(right @ (view.eye - flame.mean(axis=0)) / np.linalg.norm(right)) < 3
    leaning = place_mesh(BillboardPlace(at=(1.0, 0.25, -2.0)), EMPTY, view).position
    assert np.ptp(leaning[:, 1]) < 0.5 * np.cos(np.radians(35)) + 1e-9
    # Only what is not as usual is written.
    doc = Document(
        overlays=(
            Overlay(
                name="o",
                source=Source(canvas=(4, 4)),
                places=(
                    ShapePlace(id="a", form="stack", count=7),
                    BillboardPlace(id="b", upright=True),
                    PanelPlace(id="c"),
                ),
            ),
        )
    )
    text = dumps(doc)
    assert loads(json.loads(text), "p") == doc
    assert text.count("pivot") == 0 and text.count("upright") == 1

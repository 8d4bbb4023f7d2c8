"""Decals: thrown by a box against a hand-worked projection, their weights and relief, and what a noise leaves."""

import itertools

import numpy as np
import pytest
from test_order import VIEW, held, panel, tone

from mivex.core.material.effects import Breakup, OnSurface
from mivex.core.material.material import Channel, Finish, Material
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.scene.draw_calls import build_environment, overlay_draw, place_mesh, render
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.decal_projection import fade, projected
from mivex.core.stage.lights import Lighting
from mivex.core.stage.mesh import joined, quad
from mivex.core.stage.passes import draw_all
from mivex.core.stage.placements_model import Around, ProjectedPlace

FLOOR = quad(np.array([(-3, 0, -3), (3, 0, -3), (3, 0, 3), (-3, 0, 3)], float))
STEP = quad(np.array([(0, 0.2, -3), (3, 0.2, -3), (3, 0.2, 3), (0, 0.2, 3)], float))
SIDE = quad(np.array([(0, 0.2, -3), (0, 0.2, 3), (0, 0, 3), (0, 0, -3)], float))  # faces left, away from a box above
DOWN = np.array([[1, 0, 0], [0, 0, -1], [0, 1, 0]], float)


def test_a_box_throws_its_picture_on_whatever_lies_inside():
    mesh = projected([joined([FLOOR, STEP, SIDE])], np.array([0.0, 0.1, 0.0]), DOWN, (2.0, 1.0, 0.5), 80.0)
    # Where a point lies in the box is where it reads, whatever its height.
    assert np.allclose(mesh.uv0[:, 0], mesh.position[:, 0] / 2 + 0.5) and np.allclose(
        mesh.uv0[:, 1], mesh.position[:, 2] + 0.5
    )
    assert np.abs(mesh.position[:, 0]).max() == pytest.approx(1) and np.abs(mesh.position[:, 2]).max() == pytest.approx(0.5)
    a, b, c = (mesh.corners[:, k] for k in range(3))
    size = np.linalg.norm(np.cross(b - a, c - a), axis=1) / 2
    # Both floors, right and left of the step (below it the lower one as well), but not the step's side.
    assert size.sum() == pytest.approx(2.0 + 1.0) and (mesh.tint[:, 3] == 1).all()
    # Depth: a box that ends above the lower floor takes the step alone.
    thin = projected([joined([FLOOR, STEP, SIDE])], np.array([0.0, 0.2, 0.0]), DOWN, (2.0, 1.0, 0.3), 80.0)
    assert np.allclose(thin.position[:, 1], 0.2)
    assert not len(projected([FLOOR], np.array([0, 5.0, 0]), DOWN, (1, 1, 1), 80.0).index)


def test_it_fades_with_the_angle():
    assert np.allclose(fade(np.cos(np.radians([0, 40, 80, 85])), 80.0), [1, 1, 0, 0], atol=1e-12)
    for degrees in (10.0, 50.0, 70.0):
        t = np.radians(degrees)
        slope = quad(
            np.array([(-3, 3 * np.tan(t), -1), (3, -3 * np.tan(t), -1), (3, -3 * np.tan(t), 1), (-3, 3 * np.tan(t), 1)])
        )
        mesh = projected([slope], np.zeros(3), DOWN, (0.5, 0.5, 20.0), 80.0)
        low, high = np.cos(np.radians(80)), np.cos(np.radians(40))
        s = np.clip((np.cos(t) - low) / (high - low), 0, 1)
        assert np.allclose(mesh.tint[:, 3], s * s * (3 - 2 * s))


def test_a_thrown_decal_shows_on_the_stage_where_it_was_thrown():
    place = ProjectedPlace(at=(0.5, 0.0, 0.0), width=1.0, height=0.6, depth=0.4)
    o = Overlay(
        id="d",
        name="d",
        kind="decal",
        source=Source(canvas=(2, 2)),
        places=(place,),
        material=Material(lit=False, group="Decal", depth_bias=4.0),
    )
    doc = Document(overlays=(o,), around=Around(path="floor.obj"))
    view = View(Camera(name="c", target=(0, 0, 0), yaw=0, pitch=70, distance=5), 160, 120)
    red = {"d": tone((1, 0, 0, 1))}
    with_, bare = (
        render(d, red, view, {"floor.obj": FLOOR}).colour for d in (doc, doc.model_copy(update={"overlays": ()}))
    )
    changed = np.abs(with_ - bare).max(axis=2) > 0.05
    corners = np.array([(x, 0.0, z) for x in (0.0, 1.0) for z in (-0.3, 0.3)])
    seen = view.on_screen(corners)
    y, x = np.nonzero(changed)
    assert abs(x.min() - seen[:, 0].min()) < 1.5 and abs(x.max() + 1 - seen[:, 0].max()) < 1.5
    assert abs(y.min() - seen[:, 1].min()) < 1.5 and abs(y.max() + 1 - seen[:, 1].max()) < 1.5
    assert len(place_mesh(place, build_environment(doc, {"floor.obj": FLOOR}), view).index) > 0


def lit_pair(weights, decal_rough=0.9, own=(0.1, 0.6, 0.2, 1)):
    """A smooth wall with a decal over its left half, lit from all round; returns both halves' middle pixels."""
    flat = np.array([(-6, 5, 0), (6, 5, 0), (6, -5, 0), (-6, -5, 0)], float)
    smooth = {"finish": Finish(roughness=Channel(value=0.2)), "lit": True}
    wall = panel(0, (0.5, 0.5, 0.5, 1), flat, blend="Solid", group="Solid", depth_write=True, **smooth)
    half = flat * np.array([0.5, 1, 1]) - np.array([3, 0, 0])
    texture = tone(own)
    overlay = Overlay(
        id="o",
        name="o",
        kind="decal",
        source=Source(canvas=(2, 2)),
        material=Material(
            lit=True, group="Decal", depth_bias=5.0, finish=Finish(roughness=Channel(value=decal_rough)), on_surface=weights
        ),
    )
    made = overlay_draw(overlay, ProjectedPlace(), texture, VIEW)
    from dataclasses import replace

    rows = [replace(wall, order=(1, 0, 0.0)), replace(made, mesh=quad(half), order=(3, 0, 0.0))]
    from mivex.core.stage.draw import Input, ShadingInputs

    rows[0] = replace(rows[0], coat=ShadingInputs(rows[0].coat.colour, rough=Input(0.2)))
    colour = draw_all(rows, VIEW, Lighting(environment="spots", shadows=False)).colour
    return colour[9, 4, :3].astype(float), colour[9, 19, :3].astype(float)


def test_weights_say_what_a_decal_changes():
    none = OnSurface(colour=0, gloss=0, bumps=0, glow=0)
    for at in range(2):
        assert np.allclose(lit_pair(none)[at], lit_pair(none, own=(1, 0, 0, 0))[at], atol=1e-6)
    left, _ = lit_pair(OnSurface())
    plain, _ = lit_pair(none)
    tinted, _ = lit_pair(OnSurface(gloss=0))
    # Colour alone: as a decal that is as smooth as the wall.
    assert np.allclose(tinted, lit_pair(OnSurface(), decal_rough=0.2)[0], atol=1e-5)
    assert abs(tinted - left).max() > 1e-3 and tinted[1] / tinted[0] > 2 > plain[1] / plain[0]
    # Gloss alone: the wall's colour under the decal's roughness.
    matt, _ = lit_pair(OnSurface(colour=0))
    own = held((0.5, 0.5, 0.5, 1))[:3]
    assert np.allclose(matt, lit_pair(OnSurface(), own=(*own, 1))[0], atol=1e-4)


def test_a_raised_decal_gets_its_bumps_from_its_own_alpha():
    alpha = np.tile(np.linspace(0, 1, 64, dtype=np.float32), (64, 1))
    texture = Texture(np.dstack([np.full((64, 64, 3), 0.5, np.float32), alpha]))
    made = []
    for relief in (0.0, 0.5, -0.5):
        o = Overlay(
            id="o",
            name="o",
            kind="decal",
            source=Source(canvas=(2, 2)),
            material=Material(group="Decal", on_surface=OnSurface(relief=relief)),
        )
        made.append(overlay_draw(o, ProjectedPlace(), texture, VIEW).coat.normal)
    assert made[0] is None
    up, down = (m.level(0)[32, 32, :3] * 2 - 1 for m in made[1:])
    # A ramp that rises to the right leans to the left, and the other way round where it is sunk.
    assert up[0] < -0.01 and np.allclose(down, up * (-1, 1, 1), atol=1e-6) and abs(up[1]) < 1e-6


@pytest.mark.parametrize("blend", ["Translucent", "Premultiplied"])
def test_break_up_eats_from_nothing_to_everything(blend):
    fine = View(VIEW.camera, 240, 180)
    flat = np.array([(-2, 1.4, 0), (2, 1.4, 0), (2, -1.4, 0), (-2, -1.4, 0)], float)
    shares = []
    for amount in (0.0, 0.25, 0.5, 0.75, 1.0):
        d = panel(0, (0.5, 0.2, 0.1, 1), flat, blend=blend, breakup=Breakup(amount=amount, scale=12.0, soft=0.02))
        a = draw_all([d], fine).colour[48:132, 55:185, 3]
        shares.append(float(a.mean()))
    assert shares[0] == 1 and shares[-1] == 0 and all(x > y for x, y in itertools.pairwise(shares))
    assert abs(shares[2] - 0.5) < 0.12
    other = panel(0, (0.5, 0.2, 0.1, 1), flat, blend=blend, breakup=Breakup(amount=0.5, scale=12.0, soft=0.02, seed=2))
    assert not np.allclose(draw_all([other], fine).colour[..., 3], draw_all([d], fine).colour[..., 3])

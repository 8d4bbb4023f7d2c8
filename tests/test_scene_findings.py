"""Findings of the scene: each on a stage that has the fault, none on one that has not, and gone after its repair."""

import drawn_scenes
import numpy as np
import pytest
from test_order import tone

from mivex.core.evaluation.results import scene_subject
from mivex.core.findings import CHECKS, examine_scene
from mivex.core.findings.finding import Pixel
from mivex.core.material.effects import Contact
from mivex.core.material.material import Mapping, Material
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.stage.camera import Camera
from mivex.core.stage.mesh import Mesh, joined, quad
from mivex.core.stage.placements_model import Around, BillboardPlace, MeshPlace, PanelPlace, SurfacePlace

CAMERA = Camera(name="Front", target=(0, 1, 0), yaw=0, pitch=5, distance=4)
FLOOR = quad(np.array([(-6, 0, -6), (6, 0, -6), (6, 0, 6), (-6, 0, 6)], float))


def glass(key, at, rgba=(0.8, 0.3, 0.2, 0.6), yaw=0.0, **material):
    return Overlay(
        id=key,
        name=key,
        kind="glass",
        source=Source(canvas=(2, 2)),
        places=(PanelPlace(at=at, yaw=yaw, width=1.4, height=1.2),),
        material=Material(lit=False, **material),
    ), tone(rgba)


def stage(*rows, cameras=(CAMERA,), meshes=None, floor=False, **doc):
    """Overlays with their textures before an empty stage, or over a grey floor."""
    around = Around(path="floor.obj") if floor else Around(path="none.obj")
    made = Document(overlays=tuple(o for o, _ in rows), cameras=cameras, around=around, **doc)
    return made, {o.id: t for o, t in rows}, {**(meshes or {}), **({"floor.obj": FLOOR} if floor else {})}


def found(doc, textures, meshes):
    return {f.id: f for f in examine_scene(scene_subject(doc, textures, meshes))}


def gone(check, doc, textures, meshes):
    """The finding has a place and a repair that mends it and calls for no other."""
    f = found(doc, textures, meshes)[check]
    if f.place is not None:
        assert isinstance(f.place, Pixel) and 0 < f.place.x < 1 and 0 < f.place.y < 1
    left = found(f.repair(doc), textures, meshes)
    # What depth write had hidden may now be seen in the wrong order.
    assert check not in left and set(left) <= {*found(doc, textures, meshes), "order"}
    assert f.message.endswith(".") and f.why and f.overlays and CHECKS[check].looking(f).proof == "stage"
    return f


NEAR, FAR = (0.0, 1.0, 0.6), (0.2, 1.0, -0.4)


def test_two_panes_in_their_order_have_no_finding_and_a_nudge_makes_one():
    a, b = glass("near", NEAR), glass("far", FAR, (0.1, 0.4, 0.8, 0.6))
    assert not found(*stage(a, b))
    f = gone("order", *stage(glass("near", NEAR, nudge=-2), b))
    assert f.details["pair"] == ["far", "near"] and f.details["error"] > 5 and f.details["camera"] == "Front"
    assert gone("order", *stage(glass("near", NEAR, group="Solid"), b)).details["pair"] == ["far", "near"]
    # Additive ones may come in any order, and so may those that are not there.
    light = glass("near", NEAR, (0.1, 0.1, 0.1, 0.6), blend="Additive", nudge=-2)
    assert not found(*stage(light, glass("far", FAR, (0.1, 0.1, 0.1, 0.6), blend="Additive")))


def test_what_is_seen_through_and_writes_depth_hides_what_comes_later():
    b = glass("far", FAR, (0.1, 0.4, 0.8, 0.6))
    f = gone("hidden", *stage(glass("near", NEAR, nudge=-2, depth_write=True, blend="Translucent"), b))
    assert f.overlays == ("near", "far") and f.figure > 1
    # In its order the far one is there already; a Cutout is meant to hide.
    assert "hidden" not in found(*stage(glass("near", NEAR, depth_write=True), b))
    assert "hidden" not in found(
        *stage(glass("near", NEAR, (0.8, 0.3, 0.2, 1), blend="Cutout", group="Cutout", depth_write=True), b)
    )


def figure():
    """Two panes as one mesh, the near one's triangles first."""
    flat = np.array([(-0.5, 0.5, 0), (0.5, 0.5, 0), (0.5, -0.5, 0), (-0.5, -0.5, 0)])
    return joined([quad(flat + np.array([0, 0, 0.3])), quad(flat * 0.9 - np.array([0, 0, 0.3]))])


def test_a_figure_that_shows_through_itself():
    o, t = glass("fig", NEAR)
    o = o.model_copy(update={"places": (MeshPlace(path="fig.obj", at=(0, 1, 0), width=1.0),)})
    ramp = Texture(
        np.dstack([np.linspace(0, 1, 16, dtype=np.float32)[None].repeat(16, 0)] * 3 + [np.full((16, 16), 0.6, np.float32)])
    )
    doc, textures, meshes = stage((o, ramp), meshes={"fig.obj": figure()})
    f = gone("through-itself", doc, textures, meshes)
    assert f.repair(doc).overlays[0].material.depth_first
    by = o.model_copy(update={"material": o.material.model_copy(update={"distance": "triangle"})})
    assert "through-itself" not in found(*stage((by, ramp), meshes={"fig.obj": figure()}))
    del t


def test_a_flat_thing_on_its_surface_fights_without_bias():
    def flat(bias):
        place = PanelPlace(at=(0.1, 0.0, 0.2), pitch=90.0, yaw=7.0, width=2.0, height=2.0)
        return Overlay(
            id="mark",
            name="mark",
            kind="decal",
            source=Source(canvas=(2, 2)),
            places=(place,),
            material=Material(lit=False, depth_bias=bias),
        ), tone((0.8, 0.1, 0.1, 0.9))

    low = Camera(name="Low", target=(0, 1, 0), yaw=41, pitch=5, distance=4)
    gone("depth-fight", *stage(flat(0.0), floor=True, cameras=(low,)))
    assert "depth-fight" not in found(*stage(flat(8.0), floor=True, cameras=(low,)))
    assert "depth-fight" not in found(*stage(glass("pane", NEAR), floor=True))


@pytest.mark.parametrize("yaw", [2.0, 3.0, 12.0, 45.0])
def test_a_plane_that_cuts_a_wall_is_no_fight(yaw):
    wall = quad(np.array([(-4, -1, 0), (4, -1, 0), (4, 3, 0), (-4, 3, 0)], float))
    o, t = glass("pane", (0.0, 1.0, 0.0), yaw=yaw)
    doc = Document(overlays=(o,), cameras=(CAMERA,), around=Around(path="wall.obj"))
    assert "depth-fight" not in found(doc, {"pane": t}, {"wall.obj": wall})


@pytest.mark.parametrize(("apart", "fights"), [(0.0, True), (0.002, False), (0.05, False)])
def test_two_solids_in_one_plane_fight_and_those_apart_do_not(apart, fights):
    solid = {"rgba": (0.8, 0.3, 0.2, 1), "blend": "Solid", "group": "Solid", "depth_write": True}
    a, b = glass("under", (0.0, 1.0, 0.0), **solid), glass("over", (0.1, 1.0, apart), **solid)
    rows = found(*stage(a, b))
    assert ("depth-fight" in rows) == fights
    if fights:
        gone("depth-fight", *stage(a, b))


def test_equal_distance_is_chance():
    a, b = glass("one", (-0.2, 1.0, 0.0), yaw=20), glass("two", (0.2, 1.0, 0.0), (0.1, 0.4, 0.8, 0.6), yaw=-20)
    assert gone("chance", *stage(a, b)).details["pair"] == ["one", "two"]
    assert "chance" not in found(*stage(a, glass("two", (0.2, 1.0, 0.1), (0.1, 0.4, 0.8, 0.6), yaw=-20)))


def test_added_light_clips_on_bright_ground():
    wall = glass("wall", (0, 1, -0.5), (0.9, 0.7, 0.6, 1), blend="Solid", group="Solid", depth_write=True)
    dark = glass("wall", (0, 1, -0.5), (0.05, 0.05, 0.05, 1), blend="Solid", group="Solid", depth_write=True)
    light = glass("light", (0, 1, 0.3), (0.9, 0.8, 0.75, 0.6), blend="Additive")
    assert gone("clipped", *stage(wall, light)).figure > 30
    assert "clipped" not in found(*stage(dark, light))


def test_nothing_changed_black_lit_flat_and_back_missing():
    wall = glass("wall", (0, 1, 0), (0.4, 0.4, 0.4, 1), blend="Solid", group="Solid", depth_write=True)
    assert "no-change" in found(*stage(wall, glass("lost", (0, 1, -1.0))))
    assert "no-change" in found(*stage(wall, glass("clear", (0, 1, 1.0), opacity=0.0)))
    assert "no-change" not in found(*stage(wall, glass("seen", (0, 1, 1.0))))
    gone("black", *stage(glass("dark", NEAR, (0, 0, 0, 0.8))))
    assert "black" not in found(*stage(glass("stain", NEAR, (0, 0, 0, 0.8), blend="Multiply"), wall))
    assert "black" not in found(*stage(glass("grey", NEAR, (0.1, 0.1, 0.1, 0.8))))
    puff = glass("puff", NEAR)[0].model_copy(
        update={"kind": "sprite", "places": (BillboardPlace(at=NEAR),), "material": Material(lit=True)}
    )
    gone("lit-flat", *stage((puff, tone((0.5, 0.5, 0.5, 0.5)))))
    unlit = puff.model_copy(update={"material": Material(lit=False)})
    assert "lit-flat" not in found(*stage((unlit, tone((0.5, 0.5, 0.5, 0.5)))))
    gone("back-missing", *stage(glass("pane", NEAR, yaw=180, both_faces=False)))
    assert "back-missing" not in found(*stage(glass("pane", NEAR, both_faces=False)))


def test_a_hard_line_where_smoke_meets_the_floor():
    def smoke(height, **material):
        return Overlay(
            id="smoke",
            name="smoke",
            kind="sprite",
            source=Source(canvas=(2, 2)),
            places=(BillboardPlace(at=(0.0, height, 0.5), width=1.2, height=1.0),),
            material=Material(lit=False, **material),
        ), tone((0.7, 0.7, 0.7, 0.6))

    assert gone("contact", *stage(smoke(0.2), floor=True)).figure > 100
    assert "contact" not in found(*stage(smoke(1.2), floor=True))
    assert "contact" not in found(*stage(smoke(0.2, contact=Contact(distance=0.2)), floor=True))


def test_overdraw_above_the_budget_and_cutout_that_would_do():
    many = [glass(f"p{k}", (0, 1, 0.1 * k), (0.5, 0.5, 0.5, 0.2)) for k in range(6)]
    f = found(*stage(*many, overdraw=4))["overdraw"]
    assert f.figure == 6 and f.details["share"] > 0.05 and "overdraw" not in found(*stage(*many, overdraw=6))
    hard = np.ones((64, 64, 4), np.float32)
    hard[:, :32, 3] = 0
    o, _ = glass("cut", NEAR)
    o = o.model_copy(update={"places": (PanelPlace(at=(0.0, 1.0, 0.0), width=12.0, height=10.0),)})
    near = Camera(name="Near", target=(3, 1, 0), distance=1.0)
    gone("cutout-does", *stage((o, Texture(hard)), cameras=(near,)))
    assert "cutout-does" not in found(*stage(glass("soft", NEAR)))


@pytest.mark.parametrize(
    ("mapping", "how"),
    [(Mapping(), ""), (Mapping(across=-1.0), "mirrored"), (Mapping(turn=180.0), "upside down"), (Mapping(turn=90.0), "")],
)
def test_writing_mirrored_or_upside_down(mapping, how):
    board = Mesh(
        *(
            getattr(quad(np.array([(-1, 1, 0), (1, 1, 0), (1, -1, 0), (-1, -1, 0)], float)), k)
            for k in ("position", "normal", "uv0", "index")
        )
    )
    logo = Overlay(
        id="logo",
        name="logo",
        kind="logo",
        source=Source(canvas=(2, 2)),
        places=(MeshPlace(path="board.obj", at=(0, 1, 0), width=1.0),),
        material=Material(lit=False, mapping=mapping),
    )
    made = stage((logo, tone((0.8, 0.2, 0.2, 1))), meshes={"board.obj": board})
    if how:
        assert gone("mirrored", *made).details["how"] == how
    else:
        assert "mirrored" not in found(*made)
    lying = logo.model_copy(update={"places": (SurfacePlace(at=(0, 0, 0)),), "material": Material(lit=False)})
    assert "mirrored" not in found(*stage((lying, tone((0.8, 0.2, 0.2, 1))), floor=True))


@pytest.mark.parametrize("kind", drawn_scenes.KINDS)
def test_scenes_by_chance_have_what_they_have_and_no_more(kind):
    for seed in range(700, 704):
        for good in (False, True):
            found = [f for f in drawn_scenes.drawn(kind, good, seed).findings("scene") if f.id == kind]
            assert bool(found) != good, (seed, good)


def test_what_lies_in_the_plane_of_the_ground_fights_wherever_the_camera_stands():
    for seed in range(800, 830):
        found = [f for f in drawn_scenes.drawn("depth-fight", False, seed).findings("scene") if f.id == "depth-fight"]
        assert found and found[0].repair is not None
        mended = found[0].repair(drawn_scenes.drawn("depth-fight", False, seed).doc)
        assert mended.overlays[0].material.depth_bias >= 8

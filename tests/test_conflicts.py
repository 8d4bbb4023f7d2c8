"""What no order settles: the smallest set that conflicts, and remedies that do what they promise."""

import itertools

import numpy as np
import pytest
from test_adviser import panels_stage
from test_order import tone

from mivex.core.advice.conflicts import Conflict
from mivex.core.advice.inspection import Stage
from mivex.core.advice.order import OrderEvaluator, propose
from mivex.core.advice.remedies import stepped
from mivex.core.material.material import Material
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.edits import AddSteps
from mivex.core.scene.picking import pick
from mivex.core.stage import placement_geometry as placing
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.exact import draw_exact
from mivex.core.stage.looks import display_codes
from mivex.core.stage.mesh import quad
from mivex.core.stage.passes import draw_all
from mivex.core.stage.placements_model import Around, Cut, MeshPlace, PanelPlace

SIZE = (96, 72)
FRONT = Camera(name="front", target=(0, 0, 0), yaw=0, pitch=0, distance=4)
BACK = Camera(name="back", target=(0, 0, 0), yaw=180, pitch=0, distance=4)


def stage_of(rows, cameras=(FRONT,), meshes=None, colours=None):
    colours = colours or [(0.9, 0.2, 0.2, 0.6), (0.2, 0.9, 0.2, 0.6), (0.2, 0.2, 0.9, 0.6), (0.9, 0.9, 0.2, 0.6)]
    made = [
        Overlay(id=k, name=k, source=Source(canvas=(2, 2)), places=places, material=Material(lit=False, **more))
        for k, places, more in rows
    ]
    doc = Document(overlays=tuple(made), cameras=tuple(cameras), around=Around(path="none.obj"))
    return Stage(doc, {k: tone(colours[i]) for i, (k, _, _) in enumerate(rows)}, meshes or {})


def panel(z, yaw=0.0, x=0.0):
    return (PanelPlace(at=(x, 0.0, z), yaw=yaw, width=1.6, height=1.2),)


def bars():
    """Three bars, each over the next at one end and under the other at its other: red over green over blue over red."""
    meshes, rows = {}, []
    for k in range(3):
        t = np.radians(90 + 120 * k)
        along, out = np.array([np.cos(t), np.sin(t), 0]), np.array([np.sin(t), -np.cos(t), 0])
        slope = np.array([0, 0, 0.25])
        a, b = 0.9 * along + slope, -0.9 * along - slope
        meshes[f"b{k}"] = quad(np.array([a + 0.18 * out, b + 0.18 * out, b - 0.18 * out, a - 0.18 * out])[::-1])
        at = tuple(float(v) for v in 0.3 * out)
        rows.append((f"cy{k}", (MeshPlace(path=f"b{k}", at=at, width=1.8),), {"both_faces": True}))
    return stage_of(rows, meshes=meshes)


def test_two_panes_seen_from_both_sides_are_settled_by_distance_and_nothing_is_left():
    stage = stage_of([("near", panel(0.5), {"nudge": -2}), ("far", panel(-0.5), {"nudge": 1})], (FRONT, BACK))
    found = propose(stage, stage.doc.cameras, size=SIZE)
    assert found.before > 1 and found.after < 1e-3 and found.unsettled == ()


def test_three_that_go_round_are_named_as_three_and_two_that_change_sides_as_two():
    stage = bars()
    # A fourth one, behind them all, never changes sides and is no part of it.
    rows = [*stage.doc.overlays, stage_of([("wall", panel(-1.5), {})]).doc.overlays[0]]
    stage = Stage(
        stage.doc.model_copy(update={"overlays": tuple(rows)}),
        stage.textures | {"wall": tone((1, 1, 1, 0.5))},
        stage.meshes,
    )
    found = propose(stage, stage.doc.cameras, size=SIZE)
    assert found.after > 0.05 and len(found.unsettled) == 1
    circle = found.unsettled[0]
    assert set(circle.overlays) == {"cy0", "cy1", "cy2"}
    # Each is over the next somewhere, by the exact order of a pixel where only the two are.
    names = ["cy0", "cy1", "cy2"]
    turns = [
        (names.index(b) - names.index(a)) % 3
        for a, b in zip(circle.overlays, (*circle.overlays[1:], circle.overlays[0]), strict=True)
    ]
    assert len(set(turns)) == 1
    over = {}
    view = View(FRONT, *SIZE)
    for a, b in (("cy0", "cy1"), ("cy1", "cy2"), ("cy2", "cy0")):
        two = stage.doc.model_copy(update={"overlays": tuple(o for o in stage.doc.overlays if o.id in (a, b))})
        exact = display_codes(draw_exact(stage.draws(view, two), view), two.lighting).astype(int)
        alone = [
            display_codes(
                draw_exact(stage.draws(view, two.model_copy(update={"overlays": (o,)})), view), two.lighting
            ).astype(int)
            for o in two.overlays
        ]
        both = (np.abs(alone[0] - alone[0][0, 0]).max(axis=2) > 2) & (np.abs(alone[1] - alone[1][0, 0]).max(axis=2) > 2)
        # The upper one's own channel is the stronger of the two where both are.
        channel = {"cy0": 0, "cy1": 1, "cy2": 2}
        mean = exact[both].mean(axis=0)
        over[a, b] = mean[channel[a]] > mean[channel[b]]
    assert len(set(over.values())) == 1
    want = 1 if over["cy0", "cy1"] else 2
    assert turns[0] == want
    # Two that cut through each other.
    stage = stage_of([("a", panel(0, 40), {}), ("b", panel(0, -40), {})])
    found = propose(stage, stage.doc.cameras, size=SIZE)
    assert [set(c.overlays) for c in found.unsettled] == [{"a", "b"}]


def test_the_named_pixel_is_one_of_the_conflict():
    stage = bars()
    found = propose(stage, stage.doc.cameras, size=SIZE)
    c: Conflict = found.unsettled[0]
    x, y = int(c.at[0] * SIZE[0]), int(c.at[1] * SIZE[1])
    view = View(c.camera, *SIZE)
    draws = stage.draws(view, found.doc)
    seen, exact = (display_codes(f(draws, view), found.doc.lighting).astype(int) for f in (draw_all, draw_exact))
    assert np.abs(seen - exact)[y, x].mean() > 1 and c.pixels >= 20


@pytest.mark.parametrize("seed", [1, 2, 5, 8, 13, 21])
def test_every_remedy_gains_and_changes_what_it_says(seed):
    stage = panels_stage(seed, 4)
    cameras = stage.doc.cameras
    found = propose(stage, cameras, size=SIZE)
    judge = OrderEvaluator(stage, SIZE)
    for c in found.unsettled:
        assert c.tried or c is not found.unsettled[0]
        for r in c.remedies:
            changed = found.doc
            for e in r.edits:
                changed = e(changed)
            # Both cameras see each conflict at most; the remedy is judged from those that see it.
            asked = [k for k in cameras if k == c.camera] if len(c.remedies) == 0 else list(cameras)
            steps = [s for e in r.edits if isinstance(e, AddSteps) for s in e.steps]
            textures = stage.textures | {r.overlay: stepped(stage.textures[r.overlay], steps)}
            other = Stage(stage.doc, textures, {})
            gains = [judge.error(found.doc, k) - OrderEvaluator(other, SIZE).error(changed, k) for k in asked]
            assert any(abs(r.gain - g) < 1e-6 for g in (*gains, np.mean(gains))), r.name
            looks = []
            for k in cameras:
                view = View(k, *SIZE)
                a, b = (
                    display_codes(draw_exact(s.draws(view, d), view), d.lighting).astype(int)
                    for s, d in ((stage, found.doc), (other, changed))
                )
                looks.append(np.abs(a - b).max(axis=2).ravel())
            sets = [*looks, np.concatenate(looks)]
            found_look = [np.percentile(v[v >= 1], 99) if (v >= 1).any() else 0.0 for v in sets]
            assert any(abs(r.look - v) < 1e-6 for v in found_look), r.name
            assert r.gain > 0
    for c in found.unsettled:
        assert all(a.look <= b.look or a.look <= 8 for a, b in itertools.pairwise(c.remedies))


@pytest.mark.parametrize("turns", [(40, -40), (10, -25), (75, -5)])
def test_two_that_cut_through_each_other_are_settled_by_splitting_one_and_the_look_stays(turns):
    stage = stage_of([("a", panel(0, turns[0]), {"nudge": 2}), ("b", panel(0.1, turns[1], 0.2), {})], (FRONT,))
    found = propose(stage, stage.doc.cameras, size=SIZE)
    (conflict,) = found.unsettled
    made = [r for r in conflict.remedies if r.name.startswith("split")]
    # The exact picture stays, and nothing is left of the error; of which one, the middles of the parts decide.
    assert made and conflict.remedies[0] in made
    for r in made:
        assert r.look <= 2 and r.gain > 0.95 * found.after
        changed = found.doc
        for e in r.edits:
            changed = e(changed)
        parts = changed.overlay(r.overlay).places
        assert len(parts) == 2 and len({p.id for p in parts}) == 2
        assert Document.model_validate_json(changed.model_dump_json()) == changed
        again = propose(Stage(changed, stage.textures, {}), changed.cameras, size=SIZE)
        assert again.before < 0.05 * found.after + 0.002 and not again.nudges
    # One that only stands behind the other is not split.
    stage = stage_of([("a", panel(0, 40), {}), ("b", panel(-2), {})], (FRONT,))
    assert propose(stage, stage.doc.cameras, size=SIZE).unsettled == ()


def test_a_cut_panel_is_drawn_and_picked_as_the_part_that_is_left():
    place = PanelPlace(at=(0.0, 0.0, 0.0), width=1.6, height=1.2, cuts=(Cut(angle=0, at=0.2), Cut(angle=90, at=-0.3)))
    stage = stage_of([("a", (place,), {})])
    view = View(FRONT, *SIZE)
    seen = display_codes(draw_all(stage.draws(view, stage.doc), view), stage.doc.lighting).astype(int)
    there = np.abs(seen - seen[0, 0]).max(axis=2) > 2
    # Closed form: the panel faces the camera four metres away.
    focal = min(SIZE[1], SIZE[0] / 1.25) / 2 / np.tan(np.radians(FRONT.fov / 2))
    y, x = np.mgrid[: SIZE[1], : SIZE[0]] + 0.5
    across, up = (x - SIZE[0] / 2) * 4 / focal, (SIZE[1] / 2 - y) * 4 / focal
    want = (across > 0.2) & (across < 0.8) & (up > -0.3) & (up < 0.6)
    assert (there != want).sum() <= 4 and want.sum() > 200
    left = placing.mesh(place, view)
    assert np.allclose(left.position[:, 0].min(), 0.2) and np.allclose(left.position[:, 1].min(), -0.3)
    assert np.allclose(placing.middle(place, view), (0.5, 0.15, 0))
    ys, xs = np.nonzero(want)
    inside = float(xs.mean()) + 0.5, float(ys.mean()) + 0.5
    assert pick(stage.doc, stage.draws(view, stage.doc), view, *inside) == ("a", place.id)
    assert pick(stage.doc, stage.draws(view, stage.doc), view, float(xs.min()) - 4, inside[1]) is None
    # Nothing left: nothing is drawn, and nothing breaks.
    none = place.model_copy(update={"cuts": (Cut(angle=0, at=0.5), Cut(angle=180, at=-0.4))})
    empty = stage_of([("a", (none,), {})])
    assert (display_codes(draw_all(empty.draws(view, empty.doc), view), empty.doc.lighting).astype(int) == seen[0, 0]).all()

"""Motion: counted chance, births, closed forms of the forces, shapes, facing, sheets over lives, bounds, findings."""

import json

import numpy as np
import pytest
from scipy.interpolate import PchipInterpolator
from scipy.stats import kstest

from mivex.core.material.material import Material
from mivex.core.motion.births import births
from mivex.core.motion.bounds import bounds_of
from mivex.core.motion.curves import Curve, Ramp, Stop
from mivex.core.motion.facing import axes, frames, mesh_of
from mivex.core.motion.kernels.chance import philox
from mivex.core.motion.model import (
    Air,
    Birth,
    Burst,
    Effect,
    Emission,
    Emitter,
    ExposedParameters,
    Facing,
    Lamp,
    Life,
    whole,
)
from mivex.core.motion.simulate import EARTH, EmitterSimulation, gone_at
from mivex.core.motion.solids import solids_of
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.file import dumps, loads
from mivex.core.scene.draw_calls import render
from mivex.core.scene.playback import lamp_at
from mivex.core.scene.stage_painter import StagePainter
from mivex.core.sheet.model import Grid, Sheet
from mivex.core.stage.camera import CAMERAS, Camera, View
from mivex.core.stage.placements_model import Around
from mivex.core.stage.primitives import box


def effect(emission=None, birth=None, life=None, facing=None, **more):
    part = Emitter(
        id="p",
        overlay="o",
        emission=Emission(**{"rate": 20, "way": "given", **(emission or {})}),
        birth=Birth(**{"life": (2, 2), "speed": (3, 3), **(birth or {})}),
        life=Life(**(life or {})),
        facing=Facing(**(facing or {})),
    )
    return Effect(**{"id": "e", "name": "E", "at": (1, 2, 3), "parts": (part,), **more})


def at(e, time, wind=(0, 0, 0), **more):
    return EmitterSimulation(e, e.parts[0], wind, **more).at(time)


def test_chance_is_philox_as_numpy_counts_it():
    out = np.empty(4, np.uint64)
    for key, counter in (((7, 11), (2, 5, 0, 0)), ((2**63 + 5, 3), (2**64 - 2, 1, 2, 3))):
        philox(*(np.uint64(c) for c in (counter[0] + 1, *counter[1:])), *(np.uint64(k) for k in key), out)
        want = np.random.Philox(key=np.array(key, np.uint64), counter=np.array(counter, np.uint64)).random_raw(4)
        assert np.array_equal(out, want)


def test_a_range_that_changes_leaves_everything_else_in_place_and_played_is_scrubbed():
    round_about = {"form": "sphere", "way": "round"}
    e = effect(
        round_about,
        {"life": (1, 3), "speed": (1, 2), "turn": (-90, 90), "width": (0.1, 0.2)},
        {"drift": 0.4, "swirl": 90, "gravity": 0.2, "drag": 0.5},
    )
    p = at(e, 2.3)
    other = effect(
        round_about,
        {"life": (1, 3), "speed": (1, 2), "turn": (0, 9), "width": (0.5, 0.9)},
        {"drift": 0.4, "swirl": 90, "gravity": 0.2, "drag": 0.5},
    )
    q = at(other, 2.3)
    assert np.array_equal(p.position, q.position) and np.array_equal(p.life, q.life) and not np.array_equal(p.turn, q.turn)
    played = EmitterSimulation(e, e.parts[0])
    for k in range(0, 200):
        here = played.at(k / 83)
    now = at(e, 199 / 83)
    for name in ("position", "velocity", "turn", "size", "opacity", "number"):
        assert np.array_equal(getattr(here, name), getattr(now, name)), name
    assert not np.array_equal(at(e.model_copy(update={"seed": 2}), 2.3).position[:5], p.position[:5])


@pytest.mark.parametrize("time", [0.4, 1.0, 1.517])
def test_flight_drag_wind_and_limit_against_closed_forms(time):
    p = at(effect(life={"gravity": 1, "acceleration": (0.5, 0, -1)}), time)
    t = p.age[:, None]
    a = np.array([0.5, -EARTH, -1])
    assert np.allclose(p.position, np.array([1, 2, 3]) + np.array([0, 3, 0]) * t + a * t * t / 2, atol=1e-9)
    assert np.allclose(p.velocity, np.array([0, 3, 0]) + a * t, atol=1e-9)
    # Drag: v' = −k v.
    p = at(effect(life={"drag": 1.7}), time)
    assert np.allclose(p.velocity[:, 1], 3 * np.exp(-1.7 * p.age), atol=1e-9)
    assert np.allclose(p.position[:, 1], 2 + 3 * (1 - np.exp(-1.7 * p.age)) / 1.7, atol=1e-9)
    # Wind that is taken on: v' = −q (v − w).
    p = at(effect(life={"wind": 0.8}), time, wind=(2, 0, 0))
    assert np.allclose(p.velocity[:, 0], 2 * (1 - np.exp(-0.8 * p.age)), atol=1e-9)
    assert np.allclose(p.position[:, 0], 1 + 2 * (p.age - (1 - np.exp(-0.8 * p.age)) / 0.8), atol=1e-9)
    # Falling with a limit: no quicker, and as far as that takes it, but for the one step in which it is reached.
    p = at(effect(birth={"speed": (0, 0)}, life={"gravity": 1, "limit": 2.5}), time)
    fell = np.where(p.age < 2.5 / EARTH, EARTH * p.age**2 / 2, 2.5 * p.age - 2.5**2 / EARTH / 2)
    assert np.allclose(-p.velocity[:, 1], np.minimum(EARTH * p.age, 2.5), atol=1e-9)
    assert np.abs(2 - p.position[:, 1] - fell).max() < 2.5 / 60 / 8
    # Swirl: a circle about the axis, as quick as it says.
    p = at(effect({"form": "ring", "size": (0.5, 0, 0), "skin": True}, {"speed": (0, 0)}, {"swirl": 120}), time)
    off = p.position - (1, 2, 3)
    start = at(effect({"form": "ring", "size": (0.5, 0, 0), "skin": True}, {"speed": (0, 0)}), time).position - (1, 2, 3)
    turned = np.degrees(np.arctan2(off[:, 0], off[:, 2]) - np.arctan2(start[:, 0], start[:, 2]))
    assert np.allclose((turned - 120 * p.age + 180) % 360 - 180, 0, atol=1e-6)
    assert np.allclose(np.linalg.norm(off, axis=1), 0.5)


def test_births_rates_and_bursts_are_counted_exactly():
    def times(until, **emission):
        part = Emitter(id="p", emission=Emission(**{"rate": 0, **emission}), birth=Birth(life=(9, 9)))
        return births(part, 1, until)

    assert np.allclose(times(1.0, rate=8).time, np.arange(8) / 8)
    assert len(times(10.0, rate=7.3).time) == 73 and len(times(10.01, rate=7.3, delay=5).time) == 37
    assert (
        len(times(99, rate=10, runs="once", duration=1.5).time) == 15
        and times(99, rate=10, runs="times", times=3, duration=1).time.max() < 3
    )
    # A rate that rises from nothing: half of it is born after the root of a half.
    rise = times(2.0, rate=100, rate_curve=Curve(points=((0, 0), (1, 1)), smooth=False), duration=2.0, runs="once")
    assert len(rise.time) == 100 and np.allclose(rise.time, 2 * np.sqrt(np.arange(100) / 100), atol=2e-3)
    loops = times(6.0, rate=100, rate_curve=Curve(points=((0, 0), (1, 1)), smooth=False), duration=2.0)
    assert len(loops.time) == 300 and np.allclose(loops.time[100:200] - 2, rise.time, atol=2e-3)
    burst = times(3.0, bursts=(Burst(time=0.25, count=(12, 12), repeats=3, every=0.2),), duration=1.0)
    assert [int((burst.time == t).sum()) for t in (0.25, 0.45, 0.65, 1.25)] == [12, 12, 12, 12] or np.allclose(
        np.unique(np.round(burst.time, 9)), [k + t for k in range(3) for t in (0.25, 0.45, 0.65)]
    )
    assert len(burst.time) == 108
    some = times(200.0, bursts=(Burst(count=(3, 6)),), duration=1.0)
    counts = np.bincount(np.floor(some.time + 1e-9).astype(int))
    assert set(counts) == {3, 4, 5, 6} and abs(counts.mean() - 4.5) < 0.3
    # At most so many live at once: births while there are so many do not come to be, the others stay as they were.
    part = Emitter(id="p", emission=Emission(rate=10, most=4), birth=Birth(life=(1, 1)))
    few = births(part, 1, 3.0)
    assert list(few.number[:8]) == [0, 1, 2, 3, 10, 11, 12, 13] and not len(times(5, rate=5, most=0).time)
    flow = effect({"rate": 40, "most": 25}, {"life": (1.0, 2.0)})
    assert max(len(at(flow, t)) for t in np.linspace(0, 6, 40)) == 25
    # One that has been running: as at any later time of the same length.
    warm = at(effect({"warm": True, "duration": 2.0}), 0.0)
    assert len(warm) == 40 and np.allclose(np.sort(warm.age), np.arange(40) / 20, atol=1e-9)
    assert gone_at(effect({"runs": "once", "duration": 1.0, "rate": 5})) == 3.0


def test_curves_and_ramps_against_scipy_and_by_hand():
    points = ((0.0, 0.1), (0.2, 1.0), (0.5, 0.9), (1.0, 0.0))
    t = np.linspace(0, 1, 57)
    x, y = zip(*points, strict=True)
    assert np.allclose(Curve(points=points).at(t), PchipInterpolator(x, y)(t), atol=1e-12)
    assert np.allclose(Curve(points=points, smooth=False).at(t), np.interp(t, x, y), atol=1e-12)
    assert np.allclose(Curve(points=((0.3, 0.7),)).at(t), 0.7)
    step = Curve(points=((0, 1), (0.5, 1), (0.5, 0), (1, 0)), smooth=False)
    assert step.at(0.49) == 1 and step.at(0.51) == 0
    half = Ramp(stops=(Stop(at=0, colour=(1, 0, 0)), Stop(at=1, colour=(0, 1, 0)))).at(0.25)
    assert np.allclose(half, (0.75, 0.25, 0))  # mixed in linear light
    # Two points at one place are a step, also of a smooth curve.
    jump = Curve(points=((0, 1), (0, 2), (0.5, 0.5), (0.5, 1), (1, 3))).at(np.array([0, 1e-6, 0.5, 0.5 + 1e-6, 1]))
    assert np.allclose(jump, (1, 2, 0.5, 1, 3), atol=1e-3)
    for bad in ((), ((0.5, 1), (0.2, 1)), ((0, 1), (1.5, 1)), ((0, 1e308), (1, 0))):
        with pytest.raises(ValueError, match="curve"):
            Curve(points=bad)
    p = at(
        effect(
            birth={"width": (0.2, 0.2), "opacity": (0.8, 0.8)},
            life={
                "size": Curve(points=points),
                "opacity": Curve(points=points, smooth=False),
                "tint": Ramp(stops=(Stop(colour=(1, 0, 0)), Stop(at=1, colour=(0, 0, 1)))),
            },
        ),
        1.9,
    )
    share = p.age / 2
    assert np.allclose(p.size[:, 0], 0.2 * PchipInterpolator(x, y)(share), atol=1e-5)
    assert np.allclose(p.opacity, 0.8 * np.interp(share, x, y), atol=1e-5) and np.allclose(p.tint[:, 2], share, atol=1e-9)


def test_shapes_are_filled_evenly_and_directions_stay_in_their_cone():
    def born(n=3000, **emission):
        e = effect(
            {"rate": n, "most": n, "runs": "once", "duration": 1.0, **emission},
            {"speed": (1, 1), "life": (9, 9)},
            at=(0, 0, 0),
        )
        p = at(e, 1.0)
        return p.position - p.velocity * p.age[:, None], p.velocity

    def even(values):  # uniform between 0 and 1
        return kstest(values, "uniform").pvalue > 0.01

    r = np.linalg.norm(born(form="sphere", size=(2, 0, 0))[0], axis=1)
    assert even((r / 2) ** 3)
    q = born(form="sphere", size=(2, 0, 0), skin=True)[0]
    assert np.allclose(np.linalg.norm(q, axis=1), 2) and even((q[:, 1] / 2 + 1) / 2)
    assert born(form="half", size=(1, 0, 0))[0][:, 1].min() >= 0
    q = born(form="disc", size=(1.5, 0, 0))[0]
    assert np.allclose(q[:, 1], 0) and even((np.linalg.norm(q, axis=1) / 1.5) ** 2)
    q = born(form="box", size=(1, 2, 4))[0]
    assert all(even(q[:, k] / (1, 2, 4)[k] + 0.5) for k in range(3))
    q, v = born(form="box", size=(1, 2, 4), skin=True, way="out")
    on = np.isclose(np.abs(q), np.array([0.5, 1, 2]))
    assert on.any(axis=1).all() and abs(on[:, 0].mean() - 8 / 14) < 0.03 and np.allclose((v * on * np.sign(q)).sum(1), 1)
    mesh = box(2.0, 2.0, 2.0)
    e = effect({"form": "mesh", "rate": 3000, "most": 3000, "way": "out"}, {"speed": (0, 0), "life": (9, 9)}, at=(0, 0, 0))
    q = at(e, 1.0, mesh=mesh).position
    assert np.allclose(np.abs(q).max(axis=1), 1) and abs((np.abs(q[:, 0]) > 0.9999).mean() - 1 / 3) < 0.04
    v = born(way="cone", cone=30, along=(1, 0, 0))[1]
    cosine = v[:, 0]
    assert cosine.min() >= np.cos(np.radians(30)) - 1e-9 and even((1 - cosine) / (1 - np.cos(np.radians(30))))
    v = born(way="round")[1]
    assert all(even((v[:, k] + 1) / 2) for k in range(3))
    # The effect's axis turns all of it: y goes where yaw and pitch point, and scale makes it larger.
    e = effect({"form": "line", "size": (2, 0, 0)}, {"speed": (1, 1)}, at=(0, 0, 0), yaw=90, pitch=0, scale=2.0)
    p = at(e, 0.5)
    assert np.allclose(p.velocity, (2, 0, 0), atol=1e-9)


def test_faces_stand_as_worked_out_by_hand():
    view = View(Camera(name="c", target=(0, 0, 0), yaw=0, pitch=0, distance=5), 100, 80)
    e = effect(
        {"rate": 1, "way": "given", "along": (1, 1, 0)},
        {"speed": (2, 2), "width": (0.4, 0.4), "height": (0.2, 0.2)},
        at=(0, 0, 0),
    )
    p = at(e, 0.5)
    # Stretched: along its way (1, 1, 0), longer by speed times stretch; across it lies in the picture's plane.
    m = mesh_of(p, Facing(facing="stretched", stretch=0.1), view)
    way, side = np.array([1, 1, 0]) / np.sqrt(2), np.array([1, -1, 0]) / np.sqrt(2)
    middle = p.position[0]
    want = [
        middle - side * 0.2 + way * 0.2,
        middle + side * 0.2 + way * 0.2,
        middle + side * 0.2 - way * 0.2,
        middle - side * 0.2 - way * 0.2,
    ]
    assert np.allclose(m.position, want, atol=0.02)  # a camera at 5 m sees it a little from the side
    # Upright, seen from above: its foot stays under it.
    high = View(Camera(name="c", target=(0, 0, 0), yaw=30, pitch=40, distance=5), 100, 80)
    m = mesh_of(p, Facing(facing="upright", pivot=(0.5, 1.0)), high)
    across = np.array([np.cos(np.radians(30)), 0, -np.sin(np.radians(30))])
    assert np.allclose(
        m.position,
        [
            middle - across * 0.2 + (0, 0.2, 0),
            middle + across * 0.2 + (0, 0.2, 0),
            middle + across * 0.2,
            middle - across * 0.2,
        ],
    )
    right, up = axes(p, Facing(facing="fixed", yaw=90, pitch=0), view)[0]
    assert np.allclose(right, (0, 0, -1)) and np.allclose(up, (0, 1, 0))
    assert len(mesh_of(p, Facing(facing="crossed"), view).index) == 4
    # Far to near, oldest, youngest first.
    many = at(effect({"form": "sphere", "size": (2, 0, 0)}), 1.5)
    away = np.linalg.norm(many.position - view.eye, axis=1)
    for order, key in (("far", -away), ("oldest", -many.age), ("youngest", many.age)):
        m = mesh_of(many, Facing(order=order), view)
        assert np.allclose(m.position.reshape(-1, 4, 3).mean(axis=1), many.position[np.argsort(key, kind="stable")])


def test_a_sheet_is_shown_over_a_life_at_its_speed_or_by_chance():
    sheet = Sheet(grids=(Grid(columns=8, rows=8),), rate=12)
    p = at(effect(birth={"life": (1, 1), "frame": "life"}), 0.999999999)
    n, _, _ = frames(p, sheet, 64)
    assert n.min() >= 0 and n.max() == 63 and np.array_equal(n, np.minimum(np.floor(p.age * 64), 63))
    p = at(effect(birth={"frame": "play"}), 1.0)
    assert np.array_equal(frames(p, sheet, 64)[0], np.floor(p.age * 12 + 1e-9) % 64)
    p = at(effect({"rate": 400}, {"frame": "random"}), 1.9)
    chosen = frames(p, sheet, 16)[0]
    assert set(chosen) == set(range(16))


def test_what_is_solid_is_met_bounced_off_or_ends_a_life():
    floor = solids_of(np.array([[(-9, 0, -9), (-9, 0, 9), (9, 0, 9)], [(-9, 0, -9), (9, 0, 9), (9, 0, -9)]], float))
    fall = {"gravity": 1, "bounce": 0.5, "rub": 0.25}
    start = {"speed": (2, 2)}
    e = effect({"way": "given", "along": (1, 0, 0), "rate": 1}, start, {**fall, "solids": "bounce"}, at=(0, 1, 0))
    hit = np.sqrt(2 / EARTH)
    p = at(e, hit + 0.1, solids=floor)
    assert abs(p.velocity[0, 0] - 2 * 0.75) < 1e-9 and abs(p.position[0, 1] - 0.5 * EARTH * hit * 0.1) < 0.12
    # Twice the fall's height times the square of the share: the next top.
    tops = [at(e, t, solids=floor).position[0, 1] for t in np.linspace(hit, 2 * hit - 1e-3, 60)]
    assert abs(max(tops) - 0.25) < 0.04 and min(at(e, t, solids=floor).position[0, 1] for t in np.linspace(0, 1.9, 40)) > 0
    dies = e.model_copy(update={"parts": (e.parts[0].model_copy(update={"life": Life(**fall, solids="die")}),)})
    assert len(at(dies, hit - 0.05, solids=floor)) == 1 and len(at(dies, hit + 0.05, solids=floor)) == 0


def puff_doc(effects, air=None, sheet=None, **material):
    m = Material(**{"lit": False, **material})
    o = Overlay(id="o", name="Puff", source=Source(canvas=(64, 64)), material=m, sheet=sheet or Sheet())
    return Document(overlays=(o,), effects=effects, air=air or Air(), around=Around(path="none.obj"), overdraw=64)


def puff():
    y, x = (np.mgrid[:64, :64] + 0.5) / 32 - 1
    a = np.clip(1 - np.hypot(x, y), 0, 1)
    return Texture(np.dstack([np.full((64, 64, 3), 0.7), a]).astype(np.float32))


def test_effects_are_drawn_tinted_placed_and_lit_and_are_the_same_by_any_way():
    view = View(Camera(name="c", target=(0, 0, 0), yaw=0, pitch=0, distance=4), 160, 120, 1.0)
    flat = Texture(np.full((4, 4, 4), 1.0, np.float32))
    e = effect(
        {"rate": 1, "runs": "once", "duration": 0.5, "way": "given"},
        {"speed": (0, 0), "width": (1, 1), "opacity": (0.5, 0.5), "tint": ((1, 0, 0), (1, 0, 0))},
        at=(0, 0, 0),
        dials=ExposedParameters(size=2.0),
    )
    doc = puff_doc((e,))
    seen = render(doc, {"o": flat}, view).colour
    focal = 120 / 2 / np.tan(np.radians(22.5))
    x = np.nonzero(seen[..., 3].any(axis=0))[0]
    assert abs((x.max() - x.min() + 1) - 2 / 4 * focal) < 1.5
    assert np.allclose(seen[60, 80, :3], (0.5 + 0.09, 0.09, 0.09), atol=1e-5)
    assert not render(doc, {"o": flat}, View(view.camera, 160, 120, 3.0)).colour[..., 3].any()  # it is gone
    bare = doc.model_copy(
        update={"overlays": (doc.overlays[0].model_copy(update={"material": Material(lit=False, takes_tint=False)}),)}
    )
    assert np.allclose(render(bare, {"o": flat}, view).colour[60, 80, :3], 0.59, atol=1e-5)
    assert loads(json.loads(dumps(doc)), "p") == doc and '"effects"' not in dumps(puff_doc(()))
    # Kept from picture to picture, it is the same as drawn anew.
    lively = effect(
        {"form": "sphere", "way": "round"}, {"width": (0.1, 0.4)}, {"drag": 1}, at=(0, 0.6, 0), lamp=Lamp(on=True)
    )
    stage = puff_doc((lively,)).model_copy(update={"around": Around()})
    painter, held = StagePainter(), {"o": puff()}
    for t in (0.5, 0.52, 1.1):
        now = View(CAMERAS[0], 160, 100, t)
        kept, fresh = painter.paint(stage, held, now).astype(int), StagePainter().paint(stage, held, now).astype(int)
        assert np.abs(kept - fresh).max() <= 1, t  # the lamp's light is added up: the last bit may round otherwise
    lamp = lamp_at(lively, 0.7)
    assert lamp is not None and 0.7 * 2 <= lamp.colour[0] <= 2 and lamp.colour != lamp_at(lively, 0.8).colour
    lit = render(stage, {"o": puff()}, View(CAMERAS[0], 160, 100, 0.7)).colour
    dark = render(
        stage.model_copy(update={"effects": (lively.model_copy(update={"lamp": Lamp()}),)}),
        {"o": puff()},
        View(CAMERAS[0], 160, 100, 0.7),
    ).colour
    assert (lit - dark).max() > 0.05 and (lit - dark)[..., :3].min() > -1e-6
    copy = Effect(id="c", name="C", at=(9, 9, 9), copy_of="e", dials=ExposedParameters(size=0.5, rate=3.0), seed=5)
    got = whole(copy, (e.model_copy(update={"opened": ("size",)}), copy))
    assert got.parts == e.parts and got.dials == ExposedParameters(size=0.5) and got.at == (9, 9, 9) and got.seed == 5


def test_bounds_in_closed_form_hold_what_is_followed_and_no_more():
    for life, emission in (
        ({"gravity": 1}, {"way": "cone", "cone": 40}),
        ({"gravity": -0.2, "drag": 0.8}, {"way": "round"}),
        ({"drag": 1.0, "wind": 0.7}, {"way": "cone", "cone": 10, "along": (1, 1, 0)}),
        ({}, {"form": "box", "size": (1, 2, 3), "way": "given"}),
    ):
        e = effect({"rate": 400, "most": 2000, **emission}, {"speed": (1, 3), "life": (1, 2), "width": (0.1, 0.2)}, life)
        flow = EmitterSimulation(e, e.parts[0], (1.0, 0.0, 0.5))
        b = bounds_of(flow)
        seen = np.concatenate([flow.at(t).position for t in np.linspace(0, 6, 61)])
        low, high = seen.min(axis=0) - 0.1 * np.sqrt(2), seen.max(axis=0) + 0.1 * np.sqrt(2)
        assert b.margin == 0 and (b.low <= low + 1e-6).all() and (b.high >= high - 1e-6).all()
        assert (b.high - b.low <= (high - low) * 1.25 + 0.3).all()
    e = effect({"rate": 100, "way": "round"}, life={"drift": 0.5, "swirl": 90})
    flow = EmitterSimulation(e, e.parts[0])
    b = bounds_of(flow)
    seen = np.concatenate([flow.at(t).position for t in np.linspace(0, 7, 111)])
    assert b.margin > 0 and (b.low < seen.min(axis=0)).all() and (b.high > seen.max(axis=0)).all()

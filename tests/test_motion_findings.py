"""Findings of effects, beginnings, and the command line of motion."""

import json

import numpy as np
import pytest
from test_motion import effect, puff, puff_doc
from test_project import mivex_run
from test_travel import SOUND

from mivex.core.advice.particle_reduction import (
    Covering,
    ParticleReduction,
    reduce_particles,
    shared_dials,
    with_reduction,
)
from mivex.core.base.errors import MivexError
from mivex.core.checking.batch import report_on
from mivex.core.findings import examine_motion
from mivex.core.findings.base import MotionSubject
from mivex.core.material.effects import Contact, Erosion
from mivex.core.motion.curves import Curve
from mivex.core.motion.model import (
    ExposedParameters,
    whole,
)
from mivex.core.motion.simulate import EARTH
from mivex.core.motion.starters import STARTERS
from mivex.core.picture.animated import read_frames
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture
from mivex.core.picture.texture import Texture
from mivex.core.project import edits, effect_edits
from mivex.core.project.document import Document, Source
from mivex.core.project.file import dumps, write_project
from mivex.core.scene.draw_calls import build_environment, render
from mivex.core.sheet.model import Grid, Sheet
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.placements_model import Around
from mivex.demo import PROJECT


def test_fewer_larger_covers_as_much():
    e = effect(
        {"rate": 60, "form": "disc", "size": (0.4, 0, 0), "way": "cone", "warm": True},
        {"width": (0.15, 0.25), "speed": (0.3, 0.6)},
        SOUND["life"],
        at=(0, 0, 0),
    )
    doc, textures = puff_doc((e,)), {"o": puff()}
    found = reduce_particles(doc, "e", 40, textures, build_environment(doc))
    assert found.before.count > 100 and 34 <= found.after.count <= 46 and found.size > 1.2
    assert abs(found.after.area / found.before.area - 1) < 0.02 and found.after.fragments > 0
    # Measured once more, by whole pictures from the front.
    used = doc.model_copy(
        update={"effects": (e.model_copy(update={"dials": ExposedParameters(rate=found.rate, size=found.size)}),)}
    )

    def area(d):
        c = Camera(name="c", target=(0, 0.6, 0), yaw=0, pitch=0, distance=4)
        times = np.linspace(2, 4, 5)
        return np.mean([(render(d, textures, View(c, 200, 200, t)).colour[..., 3] > 0.02).mean() for t in times])

    assert abs(area(used) / area(doc) - 1) < 0.06


@pytest.mark.parametrize("seed", range(6))
def test_what_is_proposed_is_cheaper_or_nothing_is(seed):
    """Effects drawn by chance: where there is an answer it costs less in the mean and at its worst, and looks alike."""
    rng = np.random.default_rng(seed)
    e = effect(
        {"rate": float(rng.uniform(10, 60)), "form": "sphere", "size": (float(rng.uniform(0.1, 0.9)),) * 3, "way": "round"},
        {"width": (0.05, float(rng.uniform(0.08, 0.5))), "speed": (0.0, float(rng.uniform(0.05, 0.6)))},
        SOUND["life"],
        at=(0, 0, 0),
    )
    doc, textures = puff_doc((e,)), {"o": puff()}
    try:
        found = reduce_particles(doc, "e", int(rng.integers(3, 30)), textures, build_environment(doc))
    except MivexError as error:
        assert "already" in str(error) or "cannot cover" in str(error)
        return
    if not found.cheaper:
        assert found.after.fragments > 0.98 * found.before.fragments or found.after.worst > found.before.worst
        return
    assert found.after.fragments <= 0.98 * found.before.fragments and found.after.worst <= found.before.worst
    assert abs(found.after.area / found.before.area - 1) < 0.021 and 0 <= found.apart < 60


def test_a_copy_takes_a_proposal_for_itself_where_it_may():
    e = effect({"rate": 60, "warm": True}, {"width": (0.2, 0.3)}, SOUND["life"], at=(0, 0, 0))
    picture = Covering(1, 0.1, 10, 10, 1, np.zeros((4, 4, 3), np.uint8), np.zeros((4, 4, 3), np.float32))
    found = ParticleReduction(0.4, 1.7, picture, picture)
    for opened, own, original in (
        (("rate", "size"), (0.4, 1.7), (1.0, 1.0)),
        (("size",), (1.0, 1.7), (0.4, 1.0)),
        ((), (1.0, 1.0), (0.4, 1.7)),
    ):
        of = e.model_copy(update={"opened": opened})
        copy = of.model_copy(update={"id": "c", "copy_of": "e", "parts": (), "opened": ()})
        doc = puff_doc((of, copy))
        made = with_reduction(doc, "c", found)
        dials = {x.id: (x.dials.rate, x.dials.size) for x in made.effects}
        assert dials == {"e": original, "c": own}, opened
        assert shared_dials(doc, "c") == [k for k in ("rate", "size") if k not in opened]
        seen = whole(made.effect("c"), made.effects).dials
        assert (seen.rate, seen.size) == (0.4, 1.7)
        assert shared_dials(doc, "e") == [] and with_reduction(doc, "e", found).effect("e").dials.size == 1.7
    assert with_reduction(doc, "gone", found) == doc


def motion_ids(e, texture=None, sheet=None, doc=None, small=False, **material):
    doc = doc or puff_doc((e,), sheet=sheet, **material)
    found = examine_motion(MotionSubject(doc, {"o": texture or puff()}, build_environment(doc)))
    return {f.id: f for f in found if small or f.id != "motion-small"}  # seen from near, 64 texels are few


def test_pictures_too_small_for_the_screen_are_found():
    near = effect(**SOUND, at=(-1.0, 1.5, 1.6))
    # Beside a camera, but out of its picture: nobody sees them.
    assert motion_ids(effect(**SOUND, at=(5.0, 0.9, 3.0)), small=True) == {}
    found = motion_ids(near, small=True)["motion-small"]
    # The largest sprites, 0.2 m high, as large as the nearest camera sees them, over 64 texels.
    assert 2.5 < found.figure < 8 and "64 texels" in found.message
    large = Texture(np.ascontiguousarray(np.kron(puff().values, np.ones((8, 8, 1), np.float32))))
    assert motion_ids(near, large, small=True) == {}


@pytest.mark.parametrize(
    ("name", "change"),
    [
        ("motion-pop", {"life": {"opacity": Curve(points=((0, 0.4), (1, 0)))}}),
        ("motion-pop", {"life": {}}),
        ("motion-alike", {"birth": {"width": (0.1, 0.1), "speed": (0.5, 1)}}),
        ("motion-most", {"emission": {"most": 12}}),
        ("motion-loop", {"emission": {"rate_curve": Curve(points=((0, 0), (1, 1)))}}),
        ("motion-erosion", {"life": {"opacity": SOUND["life"]["opacity"], "erosion": Curve(points=((0, 0), (1, 1)))}}),
        (
            "motion-leap",
            {
                "life": {
                    "opacity": SOUND["life"]["opacity"],
                    "speed_y": Curve(points=((0, 1), (0.5, 1), (0.5, 0.2), (1, 0.2)), smooth=False),
                }
            },
        ),
        (
            "motion-overdraw",
            {
                "emission": {"rate": 400, "most": 2000},
                "birth": {"width": (1, 1.2), "turn": (-180, 180), "speed": (0, 0.01)},
            },
        ),
    ],
)
def test_faults_of_motion_are_found_mended_and_not_found_in_what_is_sound(name, change):
    assert motion_ids(effect(**SOUND)) == {}
    e = effect(**{**SOUND, **change})
    found = motion_ids(e)
    assert set(found) == {name} and found[name].figure > 0
    if found[name].repair is not None:
        assert name not in motion_ids(e, doc=found[name].repair(puff_doc((e,))))


def test_faults_with_material_sheet_and_solids():
    tinted = effect(**{**SOUND, "birth": {**SOUND["birth"], "tint": ((1, 0, 0), (1, 0, 0))}})
    assert motion_ids(tinted) == {} and set(motion_ids(tinted, takes_tint=False)) == {"motion-tint"}
    driven = motion_ids(effect(**SOUND), erosion=Erosion(form="soft", by="life"))
    assert set(driven) == {"motion-erosion"}
    sheet = Sheet(grids=(Grid(columns=4, rows=4),), play="once", rate=4)
    cells = tuple(sheet.cells(64, 64))
    texture = Texture(puff().values, cells=cells)
    short = effect(**{**SOUND, "birth": {**SOUND["birth"], "frame": "play"}})
    assert set(motion_ids(short, texture, sheet)) == {"motion-short"}
    first = effect(**{**SOUND, "birth": {**SOUND["birth"], "frame": "first"}})
    assert set(motion_ids(first, texture, sheet)) == {"motion-frames"}
    doc = puff_doc((effect(**SOUND, at=(0.6, 0.02, 1.4)),)).model_copy(update={"around": Around()})
    large = {"width": (0.4, 0.6), "turn": (-180, 180), "speed": (0.05, 0.1)}
    slow = effect(**{**SOUND, "birth": large}, at=(0.6, 0.02, 1.4))
    floor = motion_ids(slow, doc=doc.model_copy(update={"effects": (slow,)}))
    assert set(floor) == {"motion-contact"}
    mended = floor["motion-contact"].repair(doc.model_copy(update={"effects": (slow,)}))
    assert mended.overlays[0].material.contact != Contact() and motion_ids(slow, doc=mended) == {}
    under = effect(**SOUND, at=(0.6, -0.3, 1.4))
    found = motion_ids(under, doc=doc.model_copy(update={"effects": (under,)}))
    assert "motion-inside" in found and "motion-inside" not in motion_ids(
        under, doc=found["motion-inside"].repair(doc.model_copy(update={"effects": (under,)}))
    )
    tight = effect(**SOUND, bounds=((0.8, 1.8, 2.8), (1.2, 2.5, 3.2)))
    found = motion_ids(tight)
    assert set(found) == {"motion-bounds"} and not motion_ids(tight, doc=found["motion-bounds"].repair(puff_doc((tight,))))


def test_motion_on_the_command_line(tmp_path):
    doc = puff_doc((effect(name="Plume", life={"gravity": 1}, at=(0, 1, 1)),)).model_copy(update={"around": Around()})
    write_picture(tmp_path / "puff.png", puff().values, 8)
    doc = doc.model_copy(update={"overlays": (doc.overlays[0].model_copy(update={"source": Source(path="puff.png")}),)})
    path = tmp_path / "p.mivex"
    path.write_text(dumps(doc))
    done = mivex_run("simulate", str(path), "Plume", "--time", "0.5", "--json")
    words = json.loads(done.stdout)
    assert done.returncode == 0 and words["time"] == 0.5 and [p["birth"] for p in words["particles"]] == list(range(11))
    p = words["particles"][2]
    assert " ".join(p) == "emitter birth age life position velocity size turn tint opacity erosion frame"
    assert p["emitter"] == "Part"
    assert np.allclose(p["position"], (0, 1 + 3 * 0.4 - EARTH * 0.16 / 2, 1)) and np.isclose(p["age"], 0.4)
    done = mivex_run("render", str(path), str(tmp_path / "a.webp"), "--size", "64x40", "--frames", "3:6", "--fps", "10")
    assert done.returncode == 0, done.stderr
    seen, seconds = read_frames(tmp_path / "a.webp")
    assert len(seen) == 4 and np.isclose(sum(seconds), 0.4)
    for out, more in (("n.png", ("--frames", "5:6", "--fps", "10")), ("t.png", ("--time", "0.5"))):
        assert mivex_run("render", str(path), str(tmp_path / out), "--size", "64x40", *more).returncode == 0
    five, still = (read_picture(tmp_path / n).values for n in ("n-0005.png", "t.png"))
    assert np.array_equal(five, still) and np.allclose(seen[2][..., :3], five[..., :3], atol=1e-6)
    for bad in (
        ("simulate", str(path), "Nothing", "--time", "1"),
        ("simulate", str(path), "Plume", "--time", "99999"),
        ("render", str(path), str(tmp_path / "x.png"), "--frames", "6:2"),
        ("simulate", str(path), "Plume"),
    ):
        done = mivex_run(*bad)
        assert done.returncode == 2 and "Traceback" not in done.stderr
    words = json.loads(dumps(doc))
    words["effects"][0]["parts"][0]["emission"]["rate"] = 1000000
    path.write_text(json.dumps(words))
    done = mivex_run("simulate", str(path), "Plume", "--time", "1")
    assert done.returncode == 2 and done.stderr.count("\n") == 1
    gone = doc.model_copy(update={"overlays": ()})
    path.write_text(dumps(gone))
    assert mivex_run("simulate", str(path), "Plume", "--time", "1").returncode == 0
    assert mivex_run("render", str(path), str(tmp_path / "g.png"), "--size", "32x20", "--time", "1").returncode == 0


@pytest.mark.parametrize("key", STARTERS)
def test_a_beginning_has_no_fault_of_its_own(tmp_path, key):
    doc, puff = edits.add_overlay(Document(), "Puff", "sprite", str(PROJECT.parent / "silt_puff.png"))
    doc, _ = effect_edits.begun(doc, key, puff, (0.2, STARTERS[key].height, 1.0))
    write_project(tmp_path / "begun.mivex", doc)
    assert not report_on(str(tmp_path / "begun.mivex")).findings


def budget_of_8(effects):
    return puff_doc(effects).model_copy(update={"overdraw": 8})


@pytest.mark.parametrize("runs", ["loop", "once"])
@pytest.mark.parametrize("time", [0.0, 2.3])
@pytest.mark.parametrize("kind", ["motion-alike", "motion-most", "motion-overdraw"])
def test_a_burst_is_judged_at_its_own_time_however_late(kind, time, runs):
    emission = {"rate": 0.0, "duration": time + 1.2, "runs": runs, "bursts": ({"time": time, "count": (48, 48)},)}
    birth = {"life": (0.6, 0.7), "width": (0.01, 0.02), "turn": (-180, 180), "speed": (0.0, 0.02)}
    if kind == "motion-alike":
        birth |= {"width": (0.02, 0.02), "turn": (0, 0)}
    elif kind == "motion-most":
        emission |= {"most": 16}
    else:
        birth |= {"width": (0.4, 0.6)}
    if kind != "motion-overdraw":
        emission |= {"form": "box", "size": (2.2, 0.8, 0.8)}
    e = effect(emission, birth, {"opacity": SOUND["life"]["opacity"]}, at=(0, 1.3, 1.2))
    found = motion_ids(e, doc=budget_of_8((e,)))
    assert kind in found and time - 0.02 <= found[kind].place.seconds <= time + 0.7
    # A handful, as late, is nothing.
    few = {**emission, "bursts": ({"time": time, "count": (3, 3)},), "most": 60}
    calm = effect(few, birth, {"opacity": SOUND["life"]["opacity"]}, at=(0, 1.3, 1.2))
    assert kind not in motion_ids(calm, doc=budget_of_8((calm,)))


@pytest.mark.parametrize("split", ["parts", "effects"])
def test_overdraw_is_counted_over_parts_and_effects_together(split):
    one = effect(
        {"rate": 3.2},
        {"life": (2, 2), "width": (0.5, 0.6), "speed": (0, 0.01)},
        {"opacity": SOUND["life"]["opacity"]},
        at=(0, 1.3, 1.2),
    )
    assert "motion-overdraw" not in motion_ids(one, doc=budget_of_8((one,)))
    if split == "parts":
        parts = tuple(one.parts[0].model_copy(update={"id": f"p{k}"}) for k in range(4))
        doc = budget_of_8((one.model_copy(update={"parts": parts}),))
    else:
        doc = budget_of_8(tuple(one.model_copy(update={"id": f"e{k}", "name": f"E{k}", "seed": k}) for k in range(4)))
    assert "together" in motion_ids(one, doc=doc)["motion-overdraw"].message

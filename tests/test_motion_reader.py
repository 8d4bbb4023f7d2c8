"""The reader of motion files, which knows nothing of Mivex, against the program: chance by chance, effect by effect."""

import ast
import json
from pathlib import Path

import numpy as np
import pytest
from test_project import mivex_run

import mivex.reader
from mivex.core.base.settings import written_out
from mivex.core.deliver.motion_file import CHECK, motion_file
from mivex.core.deliver.project import deliver_project
from mivex.core.motion.curves import Curve, Ramp, Stop
from mivex.core.motion.model import Air, Birth, Burst, Effect, Emission, Emitter, ExposedParameters, Facing, Life, Travel
from mivex.core.motion.rng import chances
from mivex.core.picture.encode import write_picture
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.scene.playback import EmitterSimulations
from mivex.core.stage.dock import dock
from mivex.core.stage.surroundings import World
from mivex.reader import motion as reader
from mivex.reader.__main__ import compared

FORMS = ("point", "sphere", "half", "disc", "ring", "box", "line")
WAYS = ("out", "cone", "round", "given")


def curve(rng, low=0.0, high=2.0):
    x = np.sort(rng.random(rng.integers(1, 6)))
    if len(x) > 2 and rng.random() < 0.3:
        x[1] = x[0]  # a step
    return Curve(
        points=tuple((float(a), float(b)) for a, b in zip(x, rng.uniform(low, high, len(x)), strict=True)),
        smooth=bool(rng.random() < 0.6),
    )


def some(rng, make):
    return make() if rng.random() < 0.4 else None


def drawn(seed):
    """An effect drawn by chance, with everything that an effect can have."""
    rng = np.random.default_rng(seed)
    u = rng.uniform

    def pair(low, high):
        a = np.sort(u(low, high, 2))
        return float(a[0]), float(a[1])

    runs = str(rng.choice(["loop", "once", "times"]))
    emission = Emission(
        rate=float(u(0, 30)),
        rate_curve=some(rng, lambda: curve(rng)),
        bursts=tuple(
            Burst(
                time=float(u(0, 1)),
                count=(1, int(rng.integers(1, 9))),
                repeats=int(rng.integers(1, 4)),
                every=float(u(0.05, 0.5)),
            )
            for _ in range(rng.integers(0, 3))
        ),
        runs=runs,
        times=2,
        duration=float(u(0.4, 2)),
        delay=float(u(0, 1)) if rng.random() < 0.5 else 0.0,
        most=int(rng.integers(5, 60)),
        warm=bool(rng.random() < 0.5),
        form=str(rng.choice(FORMS)),
        size=tuple(float(v) for v in u(0.05, 0.5, 3)),
        skin=bool(rng.random() < 0.5),
        way=str(rng.choice(WAYS)),
        cone=float(u(0, 180)),
        along=tuple(float(v) for v in u(-1, 1, 3)),
    )
    birth = Birth(
        life=pair(0.2, 2.5),
        width=pair(0.02, 0.4),
        height=some(rng, lambda: pair(0.02, 0.4)),
        speed=pair(0, 3),
        turn=pair(-180, 180),
        spin=pair(-300, 300),
        opacity=pair(0.2, 1),
        tint=(tuple(map(float, u(0, 1, 3))), tuple(map(float, u(0, 1, 3)))),
        frame=str(rng.choice(["life", "play", "random", "first"])),
    )
    life = Life(
        size=some(rng, lambda: curve(rng)),
        opacity=some(rng, lambda: curve(rng)),
        tint=some(
            rng,
            lambda: Ramp(stops=tuple(Stop(at=float(a), colour=tuple(map(float, u(0, 1, 3)))) for a in np.sort(u(0, 1, 3)))),
        ),
        erosion=some(rng, lambda: curve(rng)),
        spin=some(rng, lambda: curve(rng)),
        speed_x=some(rng, lambda: curve(rng)),
        speed_y=some(rng, lambda: curve(rng)),
        frame=some(rng, lambda: curve(rng)),
        push=some(rng, lambda: curve(rng)),
        acceleration=tuple(float(v) for v in u(-2, 2, 3)),
        gravity=float(u(-1, 1)),
        drag=float(rng.choice([0.0, 1e-8, 1e-3, 0.7, 9.0])),
        limit=float(rng.choice([0.0, 0.4, 2.0])),
        swirl=float(rng.choice([0.0, -200.0, 90.0])),
        drift=float(rng.choice([0.0, 0.5])),
        drift_scale=float(u(0.2, 4)),
        drift_rate=float(u(0, 2)),
        wind=float(rng.choice([0.0, 0.8])),
        solids=str(rng.choice(["through", "bounce", "die"])),
    )
    part = Emitter(
        id=f"p{seed}",
        overlay="a",
        emission=emission,
        birth=birth,
        life=life,
        facing=Facing(space=str(rng.choice(["world", "local"]))),
    )
    effect = Effect(
        id="e",
        name="e",
        at=(0.2, float(u(0.3, 1.2)), 1.5),
        yaw=float(u(-180, 180)),
        pitch=float(rng.choice([90.0, 30.0, -80.0])),
        roll=float(u(-180, 180)),
        scale=float(u(0.4, 2)),
        seed=int(rng.integers(0, 2**31 - 1)),
        parts=(part,),
        travel=Travel(
            path=str(rng.choice(["none", "swing", "circle"])),
            reach_x=float(u(-0.4, 0.4)),
            reach_y=float(u(-0.2, 0.2)),
            reach_z=float(u(-0.4, 0.4)),
            period=float(u(0.3, 3)),
            turning=float(rng.choice([0.0, 140.0, -900.0])),
            carried=float(rng.choice([0.0, 0.6, 1.0])),
        ),
        dials=ExposedParameters(rate=float(rng.choice([1.0, 0.5, 2.5])), size=1.3, worn=0.1, tint=(0.9, 0.5, 0.2)),
    )
    return Document(effects=(effect,), air=Air(wind_x=0.4, wind_z=-0.2)), effect


def test_it_imports_nothing_of_mivex_and_stays_small():
    for path in Path(mivex.reader.__file__).parent.glob("*.py"):
        text = path.read_text(encoding="utf-8")
        assert text.count("\n") < 400
        for node in ast.walk(ast.parse(text)):
            names = (
                [a.name for a in node.names]
                if isinstance(node, ast.Import)
                else [node.module]
                if isinstance(node, ast.ImportFrom)
                else []
            )
            assert all(
                n.split(".")[0] in ("json", "math", "struct", "sys", "zlib", "pathlib", "numpy")
                or n.startswith("mivex.reader.")
                for n in names
            )


def test_chances_are_numpys_philox_and_the_programs():
    for seed, stream, birth in ((0, 0, 0), (7, 12345678901 << 8, 3), (2**31 - 1, 2**55, (5 << 20) + 2)):
        mine = reader.chances(seed, stream, birth)
        assert np.array_equal(mine, chances(seed, stream, np.array([birth]))[0, :20])
        # NumPy's counts before it draws: block 1 is the one that it gives first.
        theirs = np.random.Philox(counter=[0, stream, 0, 0], key=[seed, birth]).random_raw(4)
        assert np.allclose(mine[4:8], (theirs >> np.uint64(11)) * 2.0**-53, atol=0)


@pytest.mark.parametrize("seed", range(12))
def test_effects_drawn_by_chance_are_the_same_particles(seed):
    doc, effect = drawn(seed)
    world = World(dock())
    file = json.loads(json.dumps(written_out(motion_file(doc, effect, {}, world))))
    solids = np.concatenate([m.corners for m in world.surroundings.meshes])
    part = effect.parts[0]
    for time in (0.0, 0.31, 1.0, 1.777, 4.05):
        told = EmitterSimulations().particles(doc, effect, part, world, time)
        found = reader.particles(file, file["effect"]["parts"][0], time, solids=solids)
        assert len(found) == len(told), time
        for i, p in enumerate(found):
            assert np.abs(p["place"] - told.position[i]).max() < 1e-7
            assert np.abs(p["size"] - told.size[i]).max() < 1e-9 and abs(p["turn"] - told.turn[i]) < 1e-6
            assert abs(p["opacity"] - told.opacity[i]) < 1e-9 and abs(p["erosion"] - told.erosion[i]) < 1e-9
            assert abs(p["frame"] - told.frame[i]) < 1e-9 and np.abs(p["tint"] - told.tint[i]).max() < 1e-6


def test_a_delivery_holds_all_that_is_needed(tmp_path):
    write_picture(tmp_path / "a.png", np.full((8, 8, 4), 0.5, np.float32))
    (tmp_path / "m.obj").write_text(
        "v 0 0 0\nv 1 0 0\nv 0 1 0\nv 0 0 1\nvt 0 0\nf 1/1 2/1 3/1\nf 1/1 3/1 4/1\nf 1/1 4/1 2/1\n"
    )
    doc, effect = drawn(3)
    part = effect.parts[0]
    part = part.model_copy(
        update={
            "emission": part.emission.model_copy(
                update={"form": "mesh", "mesh": str(tmp_path / "m.obj"), "rate": 20.0, "rate_curve": None}
            ),
            "life": part.life.model_copy(update={"solids": "bounce"}),
        }
    )
    muted = part.model_copy(update={"id": "quiet", "muted": True})
    effect = effect.model_copy(update={"parts": (part, muted)})
    copy = effect.model_copy(
        update={"id": "c", "name": "Copy", "copy_of": "e", "at": (0.0, 0.8, 1.0), "seed": 9, "parts": ()}
    )
    o = Overlay(id="a", name="A", source=Source(path=str(tmp_path / "a.png")))
    doc = doc.model_copy(update={"overlays": (o,), "effects": (effect, copy)})
    o = o.model_copy(update={"delivery": o.delivery.model_copy(update={"recipe": "scene"})})
    doc = doc.model_copy(update={"overlays": (o,)})
    deliver_project(doc, Evaluator(tmp_path), tmp_path / "out")
    told = json.loads((tmp_path / "out" / "e.motion.json").read_text())
    assert told["solids"] == "motion.solids.glb" and list(told["meshes"].values()) == ["motion.born-1.glb"]
    assert told["effect"]["parts"][0]["facing"]["stretch"] == 0.05  # usual values are written too
    moments = json.loads((tmp_path / "out" / CHECK).read_text())["effects"]
    assert (
        set(moments) == {"e.motion.json", "Copy.motion.json"}
        and sum(len(m["parts"][part.id]) for m in moments["e.motion.json"]) > 20
    )
    assert compared(tmp_path / "out") < 1e-5
    # Delivered again it is the same to the byte.
    before = (tmp_path / "out" / CHECK).read_bytes()
    deliver_project(doc, Evaluator(tmp_path), tmp_path / "out")
    assert (tmp_path / "out" / CHECK).read_bytes() == before
    assert mivex_run("schema", "--of", "motion").returncode == 0

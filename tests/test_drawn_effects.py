"""Effects drawn by chance: as they should be, or with one fault each, planted well beyond the limit that it breaks."""

import numpy as np
import pytest
from test_motion import effect, puff, puff_doc

from mivex.core.findings import examine_motion
from mivex.core.findings.base import MotionSubject
from mivex.core.material.effects import Erosion
from mivex.core.motion.curves import Curve, Ramp, Stop
from mivex.core.picture.texture import Texture
from mivex.core.scene.draw_calls import build_environment
from mivex.core.sheet.model import Grid, Sheet
from mivex.core.stage.placements_model import Around

FAULTS = ("alike", "most", "overdraw", "contact", "inside", "tint", "erosion", "short", "frames", "loop", "leap", "pop",
          "bounds", "late most", "late alike")  # fmt: skip
SEEDS = 4


def drawn(fault, rng):
    """The effect, the sheet and material of its overlay; what is planted, or nothing."""
    u = lambda a, b: float(rng.uniform(a, b))  # noqa: E731
    at = [u(-0.5, 0.5), u(1.2, 1.6), u(1.0, 1.5)]
    fade = Curve(points=((0.0, 0.0), (u(0.1, 0.3), 1.0), (1.0, 0.0)), smooth=bool(rng.random() < 0.5))
    emission = {"rate": u(6, 14), "way": str(rng.choice(["cone", "round"])), "form": "sphere", "size": (u(0.05, 0.2),) * 3}
    birth = {
        "life": (u(0.8, 1.2), u(1.3, 2.0)),
        "width": (0.08, u(0.1, 0.16)),
        "turn": (-180, 180),
        "speed": (0.1, u(0.2, 0.5)),
    }
    life, more, material, sheet, cells = {"opacity": fade}, {}, {}, None, 0
    # What is no fault, and might be taken for one.
    if rng.random() < 0.3:
        life["size"] = Curve(points=((0.0, u(0.2, 0.6)), (1.0, 1.0)))
    if rng.random() < 0.3:
        life["gravity"] = u(-0.15, 0.1)
    if rng.random() < 0.3:
        life["drift"] = u(0.05, 0.2)
    if rng.random() < 0.3:
        emission["rate_curve"] = Curve(points=((0.0, 0.6), (0.5, 1.0), (1.0, 0.6)))
    if rng.random() < 0.3:
        life["tint"] = Ramp(stops=(Stop(at=0, colour=(1, 0.8, 0.6)), Stop(at=1, colour=(0.6, 0.6, 1))))
    if fault == "alike":
        birth |= {"width": (0.1, 0.1), "turn": (0, 0), "life": (1.6, 1.6)}
        emission["rate"] = u(14, 30)
    elif fault == "most":
        emission |= {"rate": u(20, 30), "most": int(rng.integers(5, 12))}
    elif fault == "overdraw":
        emission |= {"rate": u(30, 60), "form": "point"}
        birth |= {"width": (0.5, u(0.6, 0.8)), "speed": (0.0, 0.01)}
    elif fault == "contact":
        at[1] = 0.02
        emission |= {"form": "disc", "size": (0.4, 0, 0), "way": "round"}
        birth |= {"width": (0.4, 0.6), "speed": (0.0, 0.05)}
        life.pop("gravity", None)
    elif fault == "inside":
        at[1] = -u(0.25, 0.5)
    elif fault == "tint":
        birth["tint"] = ((u(0.5, 1), 0.2, 0.1), (1.0, 0.3, 0.2))
        material["takes_tint"] = False
    elif fault == "erosion":
        if rng.random() < 0.5:
            life["erosion"] = Curve(points=((0.0, 0.0), (1.0, 1.0)))
        else:
            material["erosion"] = Erosion(form="soft", by="life")
    elif fault in ("short", "frames"):
        cells = 4
        sheet = Sheet(grids=(Grid(columns=4, rows=4),), play="once", rate=u(3, 5))
        birth["frame"] = "play" if fault == "short" else "first"
    elif fault == "loop":
        emission["rate_curve"] = Curve(points=((0.0, u(0.0, 0.2)), (1.0, 1.0)))
    elif fault == "leap":
        points = ((0.0, 1.0), (0.5, 1.0), (0.5, u(0.1, 0.4)), (1.0, 0.4))
        life[str(rng.choice(["speed_x", "speed_y"]))] = Curve(points=points, smooth=False)
    elif fault == "pop":
        life["opacity"] = Curve(points=((0.0, u(0.4, 1.0)), (0.5, 1.0), (1.0, 0.0)))
    elif fault == "bounds":
        more["bounds"] = tuple(tuple(round(v + s, 3) for v in at) for s in (-0.08, 0.08))
    elif fault.startswith("late"):
        time, many = u(1.5, 3.5), int(rng.integers(30, 50))
        emission = {"rate": 0.0, "duration": time + 1.4, "bursts": ({"time": time, "count": (many, many)},)}
        emission |= {"form": "box", "size": (2.2, 0.8, 0.8), "way": "round"}
        birth |= {"life": (0.6, 0.7), "width": (0.02, 0.03), "speed": (0, 0.05)}
        if fault == "late most":
            emission["most"] = many // 3
        else:
            birth |= {"width": (0.02, 0.02), "turn": (0, 0)}
    e = effect(emission, birth, life, at=tuple(round(v, 3) for v in at), **more)
    material.setdefault("takes_tint", True)
    texture = Texture(puff().values, cells=tuple(sheet.cells(64, 64))) if cells else puff()
    return e, texture, sheet, material


def found_in(fault, rng):
    e, texture, sheet, material = drawn(fault, rng)
    doc = puff_doc((e,), sheet=sheet, **material).model_copy(update={"around": Around(), "overdraw": 8})
    found = examine_motion(MotionSubject(doc, {"o": texture}, build_environment(doc)))
    return {f.id for f in found if f.certainty == "likely"} - {"motion-small"}  # 64 texels are few from near


def test_planted_faults_of_effects_are_found_and_nothing_is_found_in_clean_ones():
    """Precision and recall over effects that set no limit: sixty with a fault, thirty without."""
    hit, missed, wrong = [], [], []
    for fault in FAULTS:
        for seed in range(SEEDS):
            found = found_in(fault, np.random.default_rng([seed, FAULTS.index(fault), 77]))
            due = f"motion-{fault.split()[-1]}"
            (hit if due in found else missed).append((fault, seed))
            wrong += [(fault, seed, k) for k in found - {due} if not (fault == "inside" and k == "motion-contact")]
    for seed in range(30):
        wrong += [("clean", seed, k) for k in found_in("", np.random.default_rng([seed, 99, 77]))]
    assert len(hit) >= 0.9 * (len(hit) + len(missed)), missed
    assert len(hit) >= 0.95 * (len(hit) + len(wrong)), wrong


@pytest.mark.parametrize("fault", ["alike", "most"])
def test_just_below_the_limit_nothing_is_said(fault):
    """Seven alike at once; as many as may live (one is born in the instant that another ends)."""
    birth = {"life": (1.0, 1.0), "width": (0.1, 0.1), "turn": (0, 0), "speed": (0.2, 0.2)}
    opacity = {"opacity": Curve(points=((0.0, 0.0), (0.2, 1.0), (1.0, 0.0)))}
    many = 7 if fault == "alike" else 30
    if fault == "most":
        birth |= {"width": (0.08, 0.12), "turn": (-180, 180)}
    for count, due in ((many, False), (many + 2, True)):
        e = effect(
            {"rate": float(count), "most": many + 1 if fault == "most" else 500, "way": "round"},
            birth,
            opacity,
            at=(0, 1.3, 1.2),
        )
        doc = puff_doc((e,)).model_copy(update={"around": Around(), "overdraw": 64})
        found = {f.id for f in examine_motion(MotionSubject(doc, {"o": puff()}, build_environment(doc)))}
        assert (f"motion-{fault}" in found) == due, count

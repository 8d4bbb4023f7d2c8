"""Motion at its edges: drag next to nothing, limits, velocities, and boxes that are never left."""

import time

import numpy as np
import pytest
from test_motion import at, effect

from mivex.core.motion.bounds import bounds_of
from mivex.core.motion.curves import Curve
from mivex.core.motion.kernels.move import allowed
from mivex.core.motion.simulate import EARTH, EmitterSimulation

ONE = {"rate": 0.0, "bursts": ({"count": (1, 1)},)}
LONG = {"life": (20.0, 20.0), "width": (0.1, 0.1)}


def flow(e, seed=None, **more):
    e = e if seed is None else e.model_copy(update={"seed": seed})
    return EmitterSimulation(e, e.parts[0], **more)


@pytest.mark.parametrize("drag", [1e-14, 1e-8, 1e-5, 1e-3, 0.0099, 0.0101, 0.5, 8.0])
def test_drag_next_to_nothing_is_next_to_nothing(drag):
    e = effect({**ONE, "way": "given"}, {**LONG, "speed": (3.0, 3.0)}, {"gravity": 1.0, "drag": drag})
    for t in (0.5, 1.0, 4.0):
        got = at(e, t).position[0, 1]
        # In exact arithmetic: the series in drag, to far more terms than are needed, or the closed form.
        x = drag * t
        if x < 1:
            h = t * sum((-x) ** n / np.prod(np.arange(1.0, n + 2)) for n in range(25))
            g = t * t * sum((-x) ** n / np.prod(np.arange(1.0, n + 3)) for n in range(25))
        else:
            h = (1 - np.exp(-x)) / drag
            g = (t - h) / drag
        assert abs(got - (2 + 3 * h - EARTH * g)) < 1e-9 * max(1, t * t)


@pytest.mark.parametrize(
    "life",
    [
        {"drift": 3.0, "drift_scale": 2.0, "drift_rate": 0.7, "limit": 0.8},
        {"speed_x": Curve(points=((0, 4.0), (1, 2.0))), "limit": 1.2, "gravity": 0.3},
        {"gravity": 1.0, "limit": 2.0, "wind": 0.5},
        {"drift": 1.0, "drift_scale": 1.0, "drift_rate": 0.2, "swirl": 80.0, "gravity": 0.1},
    ],
)
def test_the_velocity_is_how_fast_it_goes_and_the_limit_limits_it(life):
    e = effect({"rate": 30.0, "form": "sphere"}, {**LONG, "speed": (0.5, 2.0)}, life, seed=5)
    f, step = flow(e), 1 / 60
    for tick in (60, 121, 300):
        a, b, c = (f.at((tick + k) / 60) for k in (-1, 0, 1))
        n = len(a)
        path = (c.position[:n] - a.position) / (2 * step)
        # A step holds what carries it: its velocity is that of the middle of the steps beside it, to first order.
        off = np.linalg.norm(b.velocity[:n] - path, axis=1)
        assert np.percentile(off, 95) < 0.06 * max(1.0, np.linalg.norm(path, axis=1).max())
        if "limit" in life:
            gone = np.linalg.norm(c.position[:n] - b.position[:n], axis=1) / step
            assert gone.max() <= life["limit"] * (1 + 1e-9) and np.linalg.norm(b.velocity, axis=1).max() <= life[
                "limit"
            ] * (1 + 1e-9)


@pytest.mark.parametrize("seed", range(6))
def test_boxes_are_never_left_at_any_time_and_seed(seed):
    rng = np.random.default_rng(seed)
    life = {
        "drift": float(rng.uniform(0.2, 1.2)),
        "drift_scale": float(rng.uniform(0.3, 3)),
        "drift_rate": float(rng.uniform(0, 1)),
    }
    life |= {
        "gravity": float(rng.uniform(-0.5, 0.5)),
        "drag": float(rng.uniform(0, 1)),
        "swirl": float(rng.choice([0, 60])),
    }
    e = effect(
        {"rate": 25.0, "form": "sphere", "way": "out"},
        {"life": (1.0, 2.5), "speed": (0.1, 1.5), "width": (0.05, 0.1)},
        life,
        seed=seed,
    )
    box = bounds_of(flow(e))
    low, high = np.full(3, np.inf), np.full(3, -np.inf)
    for other in range(64):
        f = flow(e, 77 + 31 * other)
        for t in np.sort(rng.uniform(0, 300, 5)):
            p = f.at(float(t)).position
            low, high = np.minimum(low, p.min(axis=0, initial=np.inf)), np.maximum(high, p.max(axis=0, initial=-np.inf))
    assert (low >= box.low).all() and (high <= box.high).all()
    assert np.cbrt(np.prod(box.high - box.low) / np.prod(high - low + 0.1)) < 1.7


def test_births_are_refused_as_one_would_count_them_and_soon():
    rng = np.random.default_rng(3)
    for most in (0, 1, 7, 40):
        born = np.sort(rng.uniform(0, 10, 400))
        dies = born + rng.uniform(0, 2, 400)
        want, living = [], []
        for b, d in zip(born, dies, strict=True):
            living = [t for t in living if t > b]
            want.append(len(living) < most)
            living += [d] if want[-1] else []
        assert np.array_equal(allowed(born, dies, most), want), most
    born = np.sort(rng.uniform(0, 10, 180_000))
    begun = time.process_time()
    kept = allowed(born, born + 5.0, 20_000)
    assert time.process_time() - begun < 0.5 and 0 < kept.sum() < len(born)

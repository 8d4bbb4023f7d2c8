"""The box that an effect's particles never leave: in closed form where there is one, else followed, with a margin."""

from dataclasses import dataclass

import numpy as np

from mivex.core.base.types import Doubles
from mivex.core.motion.model import Emitter
from mivex.core.motion.simulate import EmitterSimulation

SEEDS, TIMES, CLOCK = 32, 24, 300.0
"""Seeds, and times of each within so many seconds of clock, at which particles are looked at where there is no closed form:
what carries them changes with the clock."""
MARGIN = 0.11
"""Share of the box that is added then on every side."""


@dataclass(frozen=True, eq=False)
class Bounds:
    """A box in the world.

    Attributes
    ----------
    low, high : float64 arrays (3,)
        Metres.
    margin : float
        Share of the box that was added to what was followed; 0: in closed form.
    """

    low: Doubles
    high: Doubles
    margin: float


def has_closed_form(emitter: Emitter) -> bool:
    """Nothing but a start, steady forces and drag moves the particles."""
    life = emitter.life
    return not (
        life.drift
        or life.swirl
        or life.limit
        or life.solids != "through"
        or life.push is not None
        or life.speed_x
        or life.speed_y
        or life.speed_z
    )


def _size(emitter: Emitter, scale: float) -> float:
    """How far a particle's corners lie from where it is, at most."""
    b, life, pivot = emitter.birth, emitter.life, emitter.facing.pivot
    grown = 1.0 if life.size is None else float(np.max(life.size.table))
    high = b.width[1] if b.height is None else b.height[1]
    w, h = (2 * max(p, 1 - p) * v for p, v in zip(pivot, (b.width[1], high), strict=True))
    return float(np.hypot(w, h)) / 2 * grown * scale


def _directions(flow: EmitterSimulation) -> tuple[Doubles, Doubles]:
    """Least and greatest of each component of the directions that particles set out in."""
    e, turn = flow.emitter.emission, flow.axes.turn
    along = np.array(e.along) if any(e.along) else np.array([0.0, 1.0, 0.0])
    axis = turn @ (along / np.linalg.norm(along))
    if flow.effect.travel.turning:
        return -np.ones(3), np.ones(3)
    if e.way == "given":
        return axis, axis
    if e.way == "cone":
        # A unit vector within an angle of the axis: each component runs between the angles beside its own.
        own = np.arccos(np.clip(axis, -1, 1))
        half = np.radians(e.cone)
        return np.cos(np.minimum(own + half, np.pi)), np.cos(np.maximum(own - half, 0.0))
    return -np.ones(3), np.ones(3)


def _births(flow: EmitterSimulation) -> tuple[Doubles, Doubles]:
    """The box that particles are born in."""
    e, s = flow.emitter.emission, flow.effect.scale
    x, y, z = e.size
    r = x + (y / 2 if e.form == "ring" else 0)
    low, high = {
        "point": ((0, 0, 0), (0, 0, 0)),
        "sphere": ((-x,) * 3, (x,) * 3),
        "half": ((-x, 0, -x), (x, x, x)),
        "disc": ((-x, 0, -x), (x, 0, x)),
        "ring": ((-r, 0, -r), (r, 0, r)),
        "box": ((-x / 2, -y / 2, -z / 2), (x / 2, y / 2, z / 2)),
        "line": ((-x / 2, 0, 0), (x / 2, 0, 0)),
        "mesh": ((0, 0, 0), (0, 0, 0)) if flow.mesh is None else flow.mesh.bounds,
    }[e.form]
    ends = np.array([low, high], np.float64)
    travel = flow.effect.travel
    if travel.turning:
        # Turned about the axis, whatever way: as far off it as the farthest corner.
        r = float(np.hypot(*np.abs(ends[:, [0, 2]]).max(axis=0)))
        ends[:, 0] = ends[:, 2] = -r, r
    if travel.path != "none":
        reach = np.abs([travel.reach_x, travel.reach_y, travel.reach_z])
        ends += np.stack([-reach, reach])
    corners = np.array([(ends[i, 0], ends[j, 1], ends[k, 2]) for i in (0, 1) for j in (0, 1) for k in (0, 1)])
    placed = corners * s @ flow.axes.turn.T + np.array(flow.effect.at)
    return placed.min(axis=0), placed.max(axis=0)


def _carried(flow: EmitterSimulation) -> Doubles:
    """The most of each component, in the world, of the velocity that particles take along from their emitter."""
    travel, e = flow.effect.travel, flow.emitter.emission
    if not travel.carried or not travel.moves:
        return np.zeros(3)
    own = np.zeros(3)
    if travel.path != "none":
        own += np.abs([travel.reach_x, travel.reach_y, travel.reach_z]) * 2 * np.pi / travel.period
    size = float(np.linalg.norm(e.size)) if flow.mesh is None else float(np.abs(flow.mesh.bounds).max() * 2)
    own[[0, 2]] += abs(np.radians(travel.turning)) * size
    return np.asarray(np.abs(flow.axes.turn) @ own * travel.carried * flow.effect.scale)


def _reach(v: Doubles, flow: EmitterSimulation, longest: float) -> tuple[Doubles, Doubles]:
    """How far a particle of this velocity goes along each axis, backwards and forwards, during its life."""
    f = flow.force
    k, q = f[6] + f[12], f[12]
    a = f[0:3] + f[3:6]
    if k > 0:
        e = (a + q * f[13:16]) / k

        def at(t: Doubles) -> Doubles:
            h = -np.expm1(-k * t) / k
            # By its series where drag is next to nothing: the difference of two nearly equal ways is lost.
            g = np.where(k * t < 1e-4, t * t / 2 * (1 - k * t / 3), (t - h) / k)
            return v * h + e * k * g

        # It turns where e + (v − e) exp(−k t) is nothing.
        with np.errstate(divide="ignore", invalid="ignore"):
            turn = np.log((e - v) / e) / k
    else:

        def at(t: Doubles) -> Doubles:
            return v * t + a * t * t / 2

        with np.errstate(divide="ignore", invalid="ignore"):
            turn = -v / a
    turn = np.where(np.isfinite(turn), np.clip(turn, 0, longest), 0.0)
    found = np.stack([np.zeros(3), at(turn), at(np.full(3, longest))])
    return found.min(axis=0), found.max(axis=0)


def bounds_of(flow: EmitterSimulation) -> Bounds:
    """The box of an emitter's particles, whole sprites counted in."""
    e, scale = flow.emitter, flow.effect.scale
    size = _size(e, scale * flow.effect.dials.size)
    if e.facing.facing == "stretched":
        size += e.facing.stretch * _quickest(flow)
    if has_closed_form(e):
        low, high = _births(flow)
        d0, d1 = _directions(flow)
        reach, taken = [], _carried(flow)
        for s in (e.birth.speed[0] * scale, e.birth.speed[1] * scale):
            for v in (d0 * s - taken, d1 * s - taken, d0 * s + taken, d1 * s + taken):
                reach.append(_reach(v, flow, e.birth.life[1]))
        low = low + np.min([r[0] for r in reach], axis=0)
        high = high + np.max([r[1] for r in reach], axis=0)
        return Bounds(low - size, high + size, 0.0)
    points = _followed(flow)
    low, high = points.min(axis=0), points.max(axis=0)
    more = (high - low) * MARGIN
    return Bounds(low - more - size, high + more + size, MARGIN)


def _quickest(flow: EmitterSimulation) -> float:
    f, e = flow.force, flow.emitter
    a = float(np.linalg.norm(f[0:3] + f[3:6]))
    own = e.birth.speed[1] * flow.effect.scale + float(np.linalg.norm(_carried(flow)))
    own += a * e.birth.life[1] + float(np.linalg.norm(f[13:16])) + e.life.drift
    return min(own, e.life.limit) if e.life.limit > 0 else own


def _followed(flow: EmitterSimulation) -> Doubles:
    """Places of particles at times all over the clock, of several seeds: the emitter's own, and others."""
    e = flow.emitter.emission
    longest = flow.emitter.birth.life[1]
    runs = {"loop": CLOCK, "once": e.duration, "times": e.duration * e.times}[e.runs]
    span = min(runs + longest, CLOCK)
    found = [np.array(flow.effect.at)[None]]
    for k in range(SEEDS):
        effect = flow.effect.model_copy(update={"seed": flow.effect.seed + 1009 * k})
        other = EmitterSimulation(effect, flow.emitter, tuple(flow.force[13:16]), flow.solids, flow.mesh)  # type: ignore[arg-type]
        # Near the beginning as well as far on, never twice at the same part of a life.
        shares = (np.arange(TIMES) + (0.5 + k * 0.618) % 1) / TIMES
        near = e.delay + shares[: TIMES // 2] * 2 * min(2 * longest, span)
        times = np.unique(np.concatenate([near, e.delay + shares * span]))
        found += [other.at(float(t)).position for t in times]
    return np.concatenate(found)

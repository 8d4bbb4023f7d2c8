"""Where the particles of an effect are at a time.

Every particle depends on nothing but its own numbers and the clock, so any moment can be asked for: only those alive
then are followed, each from its birth. Played forwards, they go on from where they were; both ways give the same, bit
for bit, since steps end on the same ticks.
"""

from dataclasses import dataclass
from typing import ClassVar

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import run_bands
from mivex.core.base.errors import MivexError
from mivex.core.base.lazy import Lazy
from mivex.core.base.messages import Message
from mivex.core.base.types import Doubles
from mivex.core.motion.births import Births, births, ends_at, warm_time
from mivex.core.motion.curves import SAMPLES
from mivex.core.motion.emitter_shapes import Axes, axes_of, origins
from mivex.core.motion.model import TICKS, Effect, Emitter, Vec3
from mivex.core.motion.rng import PROPERTIES, chances
from mivex.core.motion.solids import NOTHING, Solids
from mivex.core.motion.travel import carried_along
from mivex.core.pixels.colour import to_linear
from mivex.core.stage.mesh import Mesh

_move = Lazy("mivex.core.motion.kernels.move")
EARTH = 9.81
"""Metres a second, each second."""
LATEST = 3600.0
"""Seconds of the clock that can be asked for."""
AHEAD = 4.0
"""Births are worked out for so many seconds more than asked."""
_P = {name: i for i, name in enumerate(PROPERTIES)}


@dataclass(frozen=True, eq=False)
class Particles:
    """Particles of one emitter at a time, in the order of their births.

    Attributes
    ----------
    number : int64 array (n,)
        Index of each birth.
    age, life : float64 arrays (n,)
        Seconds.
    position, velocity : float64 arrays (n, 3)
        In the world: metres, metres a second.
    size : float64 array (n, 2)
        Width and height, metres.
    turn : float64 array (n,)
        Degrees.
    tint : float64 array (n, 3)
        Linear.
    opacity, erosion : float64 arrays (n,)
    frame : float64 array (n,)
        Share of the sheet that it is at, 0 to 1; below 0: minus one minus a time in seconds, at the sheet's own speed.
    look : float64 array (n,)
        A number of its own, 0 to 1.
    """

    number: NDArray[np.int64]
    age: Doubles
    life: Doubles
    position: Doubles
    velocity: Doubles
    size: Doubles
    turn: Doubles
    tint: Doubles
    opacity: Doubles
    erosion: Doubles
    frame: Doubles
    look: Doubles

    def __len__(self) -> int:
        return len(self.number)

    @property
    def share(self) -> Doubles:
        """Share of each one's life that is over."""
        return np.clip(self.age / self.life, 0, 1)


@dataclass(eq=False)
class _State:
    """State of all living particles on one tick: arrays of the same length, one row a particle."""

    rows: NDArray[np.int64]
    place: Doubles
    speed: Doubles
    turn: Doubles
    when: Doubles
    dead: NDArray[np.bool_]
    chance: Doubles
    NAMES: ClassVar[tuple[str, ...]] = ("rows", "place", "speed", "turn", "when", "dead", "chance")

    def part(self, which: NDArray[np.int64]) -> "_State":
        """The particles of a mask or of indices, copied."""
        return _State(*(getattr(self, k)[which] for k in self.NAMES))


class EmitterSimulation:
    """One emitter of an effect, which can be asked for any time.

    Parameters
    ----------
    effect : Effect
        Whole: with what it takes from another.
    emitter : Emitter
    wind : (x, y, z)
        Of the stage, metres a second.
    solids : Solids
    mesh : Mesh, optional
        On whose surface particles are born.
    """

    def __init__(
        self,
        effect: Effect,
        emitter: Emitter,
        wind: Vec3 = (0.0, 0.0, 0.0),
        solids: Solids = NOTHING,
        mesh: Mesh | None = None,
    ) -> None:
        self.effect, self.emitter, self.solids, self.mesh = effect, emitter, solids, mesh
        self.axes: Axes = axes_of(effect)
        self.until = -1.0
        self.births: Births | None = None
        self._state: _State | None = None
        self._tick = -1
        e, life = emitter.emission, emitter.life
        self.still = e.rate == 0 and not e.bursts
        force = np.zeros(27)
        turn = self.axes.turn if emitter.facing.space == "local" else np.eye(3)
        force[0:3] = turn @ np.array([0.0, -EARTH * life.gravity, 0.0])
        force[3:6] = turn @ np.array(life.acceleration)
        force[6:10] = life.drag, life.limit, life.swirl, life.drift
        force[10:12] = life.drift_scale, life.drift_rate
        force[12], force[13:16] = life.wind, wind
        force[16] = {"through": 0, "bounce": 1, "die": 2}[life.solids]
        force[17:19] = life.bounce, life.rub
        force[19:22] = self.axes.turn[:, 1] if emitter.facing.space == "local" else (0.0, 1.0, 0.0)
        force[22:25] = effect.at
        force[25] = any((life.speed_x, life.speed_y, life.speed_z))
        force[26] = life.push is not None
        self.force = force
        even = np.ones(SAMPLES)
        curves = (life.spin, life.speed_x, life.speed_y, life.speed_z, life.push)
        self.tables = np.stack([even if c is None else c.table for c in curves])

    def birthplaces(self, count: int) -> list[Doubles]:
        """Where the first so many particles are born, in the world."""
        b = self._known(max(self.emitter.emission.delay + self.emitter.emission.duration, 2.0))
        return list(self._born(np.arange(min(count, len(b.time)))).place)

    def _known(self, time: float) -> Births:
        if self.births is None or time > self.until:
            # A multiple, so that playing does not work them out at every picture, which costs as much as there are.
            self.until = time + AHEAD if time < 60 else time * 1.25
            self.births = births(self.emitter, self.effect.seed, self.until, self.effect.dials.rate)
        return self.births

    def alive(self, time: float) -> NDArray[np.int64]:
        """Rows of the births that live at a time, those aside that have died on something."""
        b = self._known(time)
        last = int(np.searchsorted(b.time, time, "right"))
        # Nobody born before this can still live: a binary search in place of a look at all.
        first = int(np.searchsorted(b.time, time - self.emitter.birth.life[1] - 1e-9, "left"))
        rows = np.arange(first, last)
        return rows[b.time[rows] + b.life[rows] > time]

    def _born(self, rows: NDArray[np.int64]) -> _State:
        """The state with which particles are born, from their drawn properties."""
        b, e = self._known(0), self.emitter
        c = chances(self.effect.seed, b.stream[rows], b.index[rows])
        place, way = origins(e.emission, c, self.mesh)
        # In the effect's axes so far.
        travel, scale = self.effect.travel, self.effect.scale
        taken = np.zeros((len(rows), 3))
        if travel.moves:
            place, way, taken = carried_along(travel, place, way, b.time[rows])
        place = _into_world(place * scale, self.axes) + np.array(self.effect.at)
        way = _into_world(way, self.axes)
        speed = _between(e.birth.speed, c[:, _P["speed"]]) * scale
        turn = _between(e.birth.turn, c[:, _P["turn"]])
        return _State(
            rows,
            np.ascontiguousarray(place),
            np.ascontiguousarray(way * speed[:, None] + _into_world(taken * scale, self.axes)),
            turn,
            b.time[rows].copy(),
            np.zeros(len(rows), np.bool_),
            c,
        )

    def _moved(self, state: _State, to: float) -> None:
        b, s = self._known(0), self.solids
        if len(state.rows):
            spin = _between(self.emitter.birth.spin, state.chance[:, _P["spin"]])
            born, life = b.time[state.rows], b.life[state.rows]

            def some(i: int, j: int) -> None:
                _move.advance(
                    state.place[i:j],
                    state.speed[i:j],
                    state.turn[i:j],
                    state.when[i:j],
                    born[i:j],
                    life[i:j],
                    spin[i:j],
                    to,
                    1.0 / TICKS,
                    self.force,
                    self.tables,
                    self.effect.seed,
                    state.dead[i:j],
                    s.grid,
                    s.cells,
                    s.lists,
                    s.triangles,
                )

            run_bands(len(state.rows), some, least=256)

    def _with(self, state: _State | None, rows: NDArray[np.int64]) -> _State:
        """The particles of these births: those that a state has as they are there, the others as they are born."""
        # Nothing to carry on from: all are as they are born, and are brought here from their births.
        if state is None or not len(state.rows) or not len(rows):
            return self._born(rows)
        # Births are in order in both: their places are found without a table.
        at = np.minimum(np.searchsorted(state.rows, rows), len(state.rows) - 1)
        known = state.rows[at] == rows
        if not known.any():
            return self._born(rows)
        old = state.part(at[known])
        if known.all():
            return old
        new = self._born(rows[~known])
        order = np.argsort(np.concatenate([rows[known], rows[~known]]), kind="stable")
        # In the order of their births again, whatever state they came from: drawing and tests count on it.
        return _State(*(np.concatenate([getattr(old, k), getattr(new, k)])[order] for k in _State.NAMES))

    def _on_tick(self, tick: int) -> _State:
        """Particles that live at a tick, there."""
        if self._state is None or tick != self._tick:
            # Forwards from the last state; backwards there is no way but from their births.
            state = self._with(self._state if tick > self._tick else None, self.alive(tick / TICKS))
            self._moved(state, tick / TICKS)
            self._state, self._tick = state, tick
        return self._state

    def at(self, time: float) -> Particles:
        """The particles at a time; raises MivexError where that is too far.

        Between ticks they are brought on from the tick before by part of a step.
        """
        if not 0 <= time <= LATEST:
            raise MivexError(Message("Times run from 0 to {latest:.0f} seconds.", latest=LATEST))
        rows = self.alive(time)
        if self.still or not len(rows):
            return _none()
        tick = int(np.floor(time * TICKS))
        state = self._on_tick(tick)
        # Between ticks a copy goes on: the state of the tick stays whole, and any time in between is reached from it.
        if time > tick / TICKS + 1e-9:
            state = self._with(state, rows)
            self._moved(state, time)
        if state.dead.any():
            state = state.part(np.flatnonzero(~state.dead))
        return self._seen(state, self._known(time), time)

    def _shown(self, state: _State, share: Doubles, time: float) -> Doubles:
        """How fast particles are seen to go, (n, 3)."""
        out = np.empty_like(state.speed)
        _move.shown_speed(state.place, state.speed, share, time, self.force, self.tables, self.effect.seed, out)
        return out

    def _seen(self, state: _State, b: Births, time: float) -> Particles:
        rows, c = state.rows, state.chance
        birth, life, dials = self.emitter.birth, self.emitter.life, self.effect.dials
        age, lasting = time - b.time[rows], b.life[rows]
        share = np.clip(age / lasting, 0, 1)
        wide = _between(birth.width, c[:, _P["width"]])
        high = wide if birth.height is None else _between(birth.height, c[:, _P["height"]])
        grown = (1.0 if life.size is None else np.maximum(life.size.quick(share), 0)) * self.effect.scale * dials.size
        # In linear light, so that the middle of two tints is the middle of their light.
        first, second = (to_linear(np.array(t, np.float32)).astype(np.float64) for t in birth.tint)
        tint = (first + (second - first) * c[:, _P["tint"], None]) * to_linear(np.array(dials.tint, np.float32))
        if life.tint is not None:
            tint = tint * life.tint.at(share)
        opacity = _between(birth.opacity, c[:, _P["opacity"]])
        if life.opacity is not None:
            opacity = opacity * np.clip(life.opacity.quick(share), 0, None)
        worn = np.zeros(len(rows)) if life.erosion is None else life.erosion.quick(share)
        look = c[:, _P["look"]]
        if life.frame is not None:
            frame = np.clip(life.frame.quick(share), 0, 1)
        else:
            frame = {
                "life": share,
                # Never quite 1: frame n of n is not there.
                "random": c[:, _P["frame"]] * (1 - 1e-12),
                "first": np.zeros(len(rows)),
                # Below zero, so that it is told from a share of the sheet: minus one less the seconds.
                "play": -1 - age,
            }[birth.frame]
        return Particles(
            b.number[rows],
            age,
            lasting,
            state.place,
            self._shown(state, share, time),
            np.stack([wide * grown, high * grown], axis=1),
            state.turn,
            tint,
            np.clip(opacity, 0, 1),
            np.clip(worn + dials.worn, 0, 1),
            frame,
            look,
        )


def _into_world(v: Doubles, axes: Axes) -> Doubles:
    """Vectors (n, 3) from an effect's own axes into the world.

    Not by a matrix product: BLAS adds up in another order for one row than for many, and a particle must be the same to the
    bit whether it is born alone or among others.
    """
    x, y, z = axes.turn.T
    return np.asarray(v[:, :1] * x + v[:, 1:2] * y + v[:, 2:] * z)


def _between(pair: tuple[float, float], chance: Doubles) -> Doubles:
    return np.asarray(pair[0] + (pair[1] - pair[0]) * chance)


def _none() -> Particles:
    zero = np.zeros(0)
    return Particles(
        np.zeros(0, np.int64),
        zero,
        zero,
        np.zeros((0, 3)),
        np.zeros((0, 3)),
        np.zeros((0, 2)),
        zero,
        np.zeros((0, 3)),
        zero,
        zero,
        zero,
        zero,
    )


def gone_at(effect: Effect) -> float:
    """Second at which the last particle of a whole effect is gone; infinite where it runs for ever."""
    return max((ends_at(p) for p in effect.parts if not p.muted), default=0.0)


def settled_at(emitter: Emitter) -> float:
    """Seconds after which a looping emitter has as many particles as it will ever have."""
    return 0.0 if warm_time(emitter) else emitter.emission.delay + emitter.birth.life[1]

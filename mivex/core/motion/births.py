"""When particles are born: rates as integrals, bursts as counts, and which births the greatest number allows."""

import hashlib
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.lazy import Lazy
from mivex.core.base.messages import Message
from mivex.core.base.types import Doubles
from mivex.core.motion.model import Emission, Emitter
from mivex.core.motion.rng import PROPERTIES, chances

_kernels = Lazy("mivex.core.motion.kernels.move")
FURTHEST = 2_000_000
"""Births that are followed; a longer time is refused."""
LIFE = PROPERTIES.index("life")
Ints = NDArray[np.int64]


@dataclass(frozen=True, eq=False)
class Births:
    """Births of an emitter in the order of their times.

    Attributes
    ----------
    time, life : float64 arrays (n,)
        Seconds of the effect's clock; seconds that each lives.
    number : int64 array (n,)
        Index among all births of the emitter, those included that the greatest number did not allow.
    stream, index : int64 arrays (n,)
        What its chances are counted by; see `chances`.
    refused : float64 array (m,)
        Times of the births that the greatest number did not allow.
    """

    time: Doubles
    life: Doubles
    number: Ints
    stream: Ints
    index: Ints
    refused: Doubles


def stream_of(emitter: Emitter) -> int:
    """A number for an emitter's chances that stays when others come and go."""
    return int.from_bytes(hashlib.blake2b(emitter.id.encode(), digest_size=6).digest(), "big") << 8


def runs_of(e: Emission) -> float:
    """Number of runs of an emitter: 1, the number that is set, or infinity."""
    return {"once": 1.0, "times": float(e.times), "loop": np.inf}[e.runs]


def warm_time(emitter: Emitter) -> float:
    """Seconds that an emitter has been running for when the clock begins."""
    e = emitter.emission
    if not e.warm or e.runs != "loop":
        return 0.0
    return e.delay + float(np.ceil(emitter.birth.life[1] / e.duration)) * e.duration


def ends_at(emitter: Emitter) -> float:
    """Second at which its last particle is gone; infinite where it runs for ever."""
    e = emitter.emission
    n = runs_of(e)
    if not np.isfinite(n):
        return np.inf
    late = max([b.time + (b.repeats - 1) * b.every for b in e.bursts if b.time < e.duration], default=0.0)
    last = e.duration if e.rate > 0 else min(late, e.duration)
    return e.delay + (n - 1) * e.duration + last + emitter.birth.life[1]


def steady_times(e: Emission, rate: float, until: float) -> Doubles:
    """Times of the births that the rate gives, before ``until`` seconds (of a clock on which the delay is over)."""
    n = runs_of(e)
    until = min(until, n * e.duration) if np.isfinite(n) else until
    # Nothing is born by a clock that has not begun.
    if rate <= 0 or until <= 0:
        return np.zeros(0)
    curve = e.rate_curve
    if curve is None:
        # One at zero, then one each interval; the small share keeps a time that falls on a birth from counting it
        # twice.
        count = int(np.ceil(rate * until - 1e-9))
        _check(count)
        return np.arange(count) / rate
    # The integral of the curve as a table: births are where it passes whole numbers.
    grid = np.linspace(0, 1, 4097)
    total = np.maximum(curve.at(grid), 0)
    total = np.concatenate([[0.0], np.cumsum((total[1:] + total[:-1]) / 2 * np.diff(grid))]) * rate * e.duration
    whole = float(total[-1])
    if whole <= 1e-12:
        return np.zeros(0)
    runs = int(np.floor(until / e.duration))
    here = runs * whole + float(np.interp(until / e.duration - runs, grid, total))
    count = int(np.ceil(here - 1e-9))
    # Checked before anything is laid out: a rate of a million for an hour would ask for gigabytes first.
    _check(count)
    j = np.arange(count, dtype=np.float64)
    run = np.minimum(np.floor(j / whole + 1e-12), 1e9)
    # Read backwards, the table gives the last place where the total is still at most this much: flat parts bear nothing.
    # A hair steeper than flat, less than a birth in ten billion, since only what rises can be read so.
    rising = total + np.arange(len(total)) * 1e-13
    return np.asarray((run + np.interp(np.maximum(j - run * whole, 0.0), rising, grid)) * e.duration)


def _check(count: int) -> None:
    from mivex.core.base.errors import MivexError

    if count > FURTHEST:
        raise MivexError(
            Message(
                "Until then {count:,} particles would be born; {furthest:,} are followed at most.",
                count=count,
                furthest=FURTHEST,
            )
        )


def burst_times(e: Emission, seed: int, stream: int, until: float) -> list[tuple[Doubles, Ints]]:
    """Of every burst: times of its births before ``until``, and their index in its own stream."""
    rows = []
    n = runs_of(e)
    for k, burst in enumerate(e.bursts):
        runs = int(min(n, np.floor(until / e.duration) + 1)) if until > 0 else 0
        at = burst.time + np.arange(burst.repeats) * burst.every
        # A burst beyond the end of its run would belong to the next.
        at = at[at < e.duration]
        _check(runs * len(at) * max(burst.count[1], 1))
        starts = (np.arange(runs)[:, None] * e.duration + at[None]).ravel()
        index = np.arange(len(starts))
        share = chances(seed, stream + 128 + k, index, blocks=1)[:, 0]
        low, high = burst.count
        counts = low + np.floor(share * (high - low + 1)).astype(np.int64)
        there = starts < until
        starts, counts, index = starts[there], counts[there], index[there]
        times = np.repeat(starts, counts)
        # Each repeat has room for the largest number, so that another count leaves the others' chances alone.
        first = np.repeat(index * 2**20, counts)
        within = np.arange(counts.sum()) - np.repeat(np.cumsum(counts) - counts, counts)
        rows.append((times, first + within))
    return rows


def births(emitter: Emitter, seed: int, until: float, rate: float = 1.0) -> Births:
    """All births of an emitter before a time of the effect's clock, warm running included.

    Parameters
    ----------
    emitter : Emitter
    seed : int
    until : float
        Seconds.
    rate : float
        Multiplies the rate and the counts of bursts.
    """
    e, stream = emitter.emission, stream_of(emitter)
    ahead = warm_time(emitter) - e.delay
    times = steady_times(e, e.rate * rate, until + ahead)
    parts = [(times, np.arange(len(times)), stream)]
    scaled = (
        e
        if rate == 1
        else e.model_copy(
            update={
                "bursts": tuple(
                    b.model_copy(update={"count": (round(b.count[0] * rate), round(b.count[1] * rate))}) for b in e.bursts
                )
            }
        )
    )
    parts += [(t, i, stream + 1 + k) for k, (t, i) in enumerate(burst_times(scaled, seed, stream, until + ahead))]
    time = np.concatenate([p[0] for p in parts]) - ahead
    low, high = emitter.birth.life
    life = np.concatenate([low + (high - low) * chances(seed, p[2], p[1], blocks=1)[:, LIFE] for p in parts])
    # Stable: at one and the same time the steady rate comes before bursts, and these in their order.
    order = np.argsort(time, kind="stable")
    time, life = time[order], life[order]
    keep = _kernels.allowed(time, time + life, e.most)
    rows = (
        time,
        life,
        np.arange(len(time)),
        np.concatenate([np.full(len(p[0]), p[2], np.int64) for p in parts])[order],
        np.concatenate([p[1] for p in parts]).astype(np.int64)[order],
    )
    return Births(rows[0][keep], rows[1][keep], rows[2][keep], rows[3][keep], rows[4][keep], time[~keep])

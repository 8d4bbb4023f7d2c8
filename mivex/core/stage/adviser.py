"""What order overlays should be drawn in: found from every fragment of every pixel, over several cameras.

For each pixel the fragments of its overlays are blended in every order of these overlays and compared with exact
order; pixels that hold the same overlays share one table. Overlays that never share a pixel are looked at apart. Up
to seven of them every order is tried; above that the best order by pairs is found (exact dynamic programming to 14,
Held and Karp 1962) and improved by moving one overlay at a time, judged by the tables. Pixels with too many overlays for a
table are blended in each order that is looked at; where they are very many, and where there are more than 24 overlays,
pairs are judged, and it is said at how many pixels.
"""

import itertools
from collections import defaultdict
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import Stopped
from mivex.core.pixels.blends import BLENDS, GROUPS
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.lights import Lighting
from mivex.core.stage.overlay_fragments import Fragments, fragments_of

EVERY = 7
"""Up to so many overlays every order is tried."""
TABLE = 6
"""Pixels with more overlays than this have no table of all orders."""
CROWDED = 4000
"""Up to so many of these pixels are blended in every order that is looked at; where there are more, pairs are judged."""
MANY = 24
"""Of more overlays orders are judged by pairs alone."""
BY_PAIRS = 14
"""Up to so many the best order by pairs is found exactly."""
SEEN = 1.0
"""Display codes from which an error counts as one to be seen."""
SLIGHT = 0.002
"""A mean error, in codes over all pixels, that is not worth a change."""


@dataclass(frozen=True)
class Advice:
    """What the adviser found.

    Attributes
    ----------
    nudges : dict of overlay id to int
        What the nudges should be; only those of overlays that share pixels.
    free : tuple of overlay ids
        May be drawn at any time.
    demands : mapping of (overlay id, overlay id) to float
        Error of drawing the first before the second, summed over the pixels that both are at.
    by_pairs : int
        Pixels, over all views, at which three overlays and more meet and only pairs of them were judged.
    """

    nudges: dict[str, int]
    free: tuple[str, ...]
    demands: dict[tuple[str, str], float]
    by_pairs: int


@dataclass(eq=False)
class _Tables:
    """Errors of every order of the overlays of pixels that hold the same ones."""

    sets: dict[tuple[int, ...], NDArray[np.float64]] = field(default_factory=dict)
    pairs: dict[tuple[int, int], float] = field(default_factory=lambda: defaultdict(float))
    """Error of drawing the first before the second, over the pixels that both are at."""
    crowded: dict[tuple[int, int], float] = field(default_factory=lambda: defaultdict(float))
    """The same, only over pixels with too many overlays for a table, where these are many."""
    few: list[Fragments] = field(default_factory=list)
    """Such pixels, where they are few."""
    by_pairs: int = 0
    """Pixels of three overlays and more that only pairs were judged at."""

    @staticmethod
    def add(into: dict[tuple[int, int], float], errors: NDArray[np.float64]) -> None:
        """Count in what was found of every pair; both ways of a pair that meets stand in the table."""
        either = (errors + errors.T) > 0
        for a, b in zip(*(i.tolist() for i in np.nonzero(either)), strict=True):
            into[a, b] += float(errors[a, b])

    def cost(self, order: Sequence[int]) -> float:
        """Error of an order, drawn first to last."""
        at = {o: i for i, o in enumerate(order)}
        total = 0.0
        for members, errors in self.sets.items():
            if all(m in at for m in members):
                total += errors[_rank(sorted(range(len(members)), key=lambda k: at[members[k]]))]
        for f in self.few:
            total += float(f.errors(np.array([order], np.int64), f.overlays)[0])
        return total + sum(e for (a, b), e in self.crowded.items() if a in at and b in at and at[a] < at[b])


_RANKS: dict[tuple[int, ...], int] = {
    p: i for n in range(1, TABLE + 1) for i, p in enumerate(itertools.permutations(range(n)))
}


def _rank(order: Sequence[int]) -> int:
    return _RANKS[tuple(order)]


def _held(f: Fragments) -> list[tuple[tuple[int, ...], NDArray[np.int64]]]:
    """Sets of overlays that share pixels, however many there are, each with its pixels."""
    pixel_of = np.repeat(np.arange(len(f.starts) - 1), np.diff(f.starts))
    count = int(f.overlays.max()) + 2 if f.overlays.size else 1
    pairs = np.unique(pixel_of * count + f.overlays + 1)
    pixel, member = pairs // count, pairs % count - 1
    pixel, member = pixel[member >= 0], member[member >= 0]
    # A set is known by the sum of random numbers of its members: two sets meet by chance once in 2^64.
    marks = np.random.default_rng(1).integers(1, 2**63, count, dtype=np.uint64)
    total = np.zeros(len(f.starts) - 1, np.uint64)
    np.add.at(total, pixel, marks[member])
    _, first, which = np.unique(total, return_index=True, return_inverse=True)
    at = np.searchsorted(pixel, np.arange(len(f.starts)))
    order = np.argsort(which, kind="stable")
    ends = np.cumsum(np.bincount(which, minlength=len(first)))
    rows = []
    for k, p in enumerate(first):
        members = tuple(int(m) for m in member[at[p] : at[p + 1]])
        if members:
            rows.append((members, order[ends[k - 1] if k else 0 : ends[k]]))
    return rows


def _tables(all_of: Sequence[Fragments], count: int, stop: Callable[[], bool]) -> _Tables:
    made = _Tables()
    for f in all_of:
        if stop():
            raise Stopped
        made.add(made.pairs, f.pair_errors(count))
        if count > MANY:
            made.by_pairs += sum(len(pixels) for members, pixels in _held(f) if len(members) > 2)
            continue
        crowded: list[NDArray[np.int64]] = []
        for members, pixels in _held(f):
            if len(members) > TABLE:
                crowded.append(pixels)
                continue
            if stop():
                raise Stopped
            part = f.part(pixels)
            orders = np.array(list(itertools.permutations(range(len(members)))), np.int64)
            errors = part.errors(orders, np.searchsorted(members, part.overlays))
            made.sets[members] = made.sets.get(members, 0) + errors
        if crowded:
            made.few.append(f.part(np.sort(np.concatenate(crowded))))
    if (total := sum(len(f.at) for f in made.few)) > CROWDED:
        made.by_pairs = total
        for f in made.few:
            made.add(made.crowded, f.pair_errors(count))
        made.few = []
    return made


def _components(tables: _Tables, count: int) -> list[list[int]]:
    """Overlays that share pixels, directly or through others."""
    group = list(range(count))
    # Pairs that meet without any error need no order: they do not hold a group together.
    for members in [*tables.sets, *tables.pairs]:
        for m in members[1:]:
            a, b = group[members[0]], group[m]
            group = [a if g == b else g for g in group]
    return [[i for i in range(count) if group[i] == g] for g in sorted(set(group))]


def _best(tables: _Tables, members: list[int], stop: Callable[[], bool]) -> tuple[int, ...]:
    """The order of least error."""
    if len(members) <= EVERY:
        return min(itertools.permutations(members), key=tables.cost)
    if len(members) > MANY:
        return _moved_by_pairs(tables, members, stop)
    order = _by_pairs(tables, members) if len(members) <= BY_PAIRS else tuple(members)
    best, better = tables.cost(order), True
    while better:
        better = False
        for m in members:
            if stop():
                raise Stopped
            rest = [o for o in order if o != m]
            for at in range(len(rest) + 1):
                tried = (*rest[:at], m, *rest[at:])
                cost = tables.cost(tried)
                if cost < best - 1e-9:
                    order, best, better = tried, cost, True
    return order


def _moved_by_pairs(tables: _Tables, members: list[int], stop: Callable[[], bool]) -> tuple[int, ...]:
    """An order that no move of one overlay betters, judged by pairs: its cost grows with the square of their number."""
    n = len(members)
    w = np.array([[tables.pairs.get((a, b), 0.0) if a != b else 0.0 for b in members] for a in members])
    # Begin with those first that cost least in front of the others (Borda's count).
    order = list(np.argsort(w.sum(1) - w.sum(0), kind="stable"))
    better = True
    while better:
        better = False
        for m in range(n):
            if stop():
                raise Stopped
            rest = [o for o in order if o != m]
            # Cost of standing before all of them, then behind one after the other.
            cost = np.concatenate([[w[m, rest].sum()], w[m, rest].sum() + np.cumsum(w[rest, m] - w[m, rest])])
            at, now = int(cost.argmin()), order.index(m)
            if cost[at] < cost[now] - 1e-9:
                order, better = [*rest[:at], m, *rest[at:]], True
    return tuple(members[k] for k in order)


def _by_pairs(tables: _Tables, members: list[int]) -> tuple[int, ...]:
    """Exact linear ordering by pair costs: the best last one of every subset."""
    n = len(members)
    w = np.array([[tables.pairs[a, b] if a != b else 0.0 for b in members] for a in members])
    cost = np.full(1 << n, np.inf)
    last = np.zeros(1 << n, np.int64)
    cost[0] = 0
    for s in range(1, 1 << n):
        inside = [i for i in range(n) if s >> i & 1]
        for i in inside:
            c = cost[s & ~(1 << i)] + w[[j for j in inside if j != i], i].sum()
            if c < cost[s]:
                cost[s], last[s] = c, i
    out, s = [], (1 << n) - 1
    while s:
        out.append(members[last[s]])
        s &= ~(1 << int(last[s]))
    return tuple(reversed(out))


def advise(
    views: Sequence[tuple[list[DrawCall], View]],
    lighting: Lighting,
    *,
    stop: Callable[[], bool] = lambda: False,
    tell: Callable[[float], object] = lambda _: None,
) -> Advice:
    """Find the nudges with the least error over some views.

    Parameters
    ----------
    views : sequence of (draws, view)
        The same overlays seen from several cameras.
    lighting : Lighting
    stop : callable
        Asked between views and tables; true raises Stopped.
    tell : callable
        Told the share that is done.
    """
    owners = list(dict.fromkeys(d.owner for rows, _ in views for d in rows if d.owner and _ordered(d)))
    now = {d.owner: d.material.nudge for rows, _ in views for d in rows}
    gathered = []
    for i, (rows, view) in enumerate(views):
        if stop():
            raise Stopped
        gathered.append(fragments_of(rows, view, lighting, owners))
        tell(0.7 * (i + 1) / len(views))
    pixels = max(sum(v.width * v.height for _, v in views), 1)
    tables = _tables(gathered, len(owners), stop)
    tell(0.9)
    slight = SLIGHT * pixels
    nudges: dict[str, int] = {}
    free: list[str] = []
    for members in _components(tables, len(owners)):
        moves = [m for m in members if any(_matters(tables, m, o, slight * 0.1) for o in members if o != m)]
        free += [owners[m] for m in members if m not in moves]
        order = _best(tables, members, stop) if len(members) > 1 else tuple(members)
        best = tables.cost(order)
        level = sum(float(f.as_drawn()[_has(f, members)].sum()) for f in gathered)
        if len(owners) <= MANY and level <= best + slight * 0.05:
            # Far to near by distance does as well: no nudges needed.
            nudges |= {owners[m]: 0 for m in members if len(members) > 1 or now[owners[m]]}
        else:
            nudges |= {owners[m]: k for k, m in enumerate(order)}
    tell(1.0)
    return Advice(nudges, tuple(free), {(owners[a], owners[b]): e for (a, b), e in tables.pairs.items()}, tables.by_pairs)


def _matters(tables: _Tables, a: int, b: int, least: float) -> bool:
    """Whether it matters which of two overlays is drawn first, or whether that stays wrong either way."""
    one, other = tables.pairs.get((a, b), 0.0), tables.pairs.get((b, a), 0.0)
    return abs(one - other) > least or one > least


def _ordered(draw: DrawCall) -> bool:
    return (BLENDS[draw.material.blend].see_through and draw.material.group not in ("Decal", "Front")) or draw.order[
        0
    ] == GROUPS.index("Blended")


def _has(f: Fragments, members: Sequence[int]) -> NDArray[np.bool_]:
    """Pixels that hold one of these overlays."""
    pixel_of = np.repeat(np.arange(len(f.starts) - 1), np.diff(f.starts))
    out = np.zeros(len(f.starts) - 1, bool)
    out[pixel_of[np.isin(f.overlays, members)]] = True
    return out

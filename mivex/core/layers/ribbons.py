"""Lines: smooth paths through a few points, and patterns that follow a line as a ribbon does."""

import math
from itertools import pairwise

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Doubles, Floats
from mivex.core.layers.laying import pattern_laid
from mivex.core.layers.model import UvTransform
from mivex.core.layers.patterns import PATTERNS
from mivex.core.layers.strokes import PaintStroke, Tip
from mivex.core.prepare.resample import resized

SMOOTH = 24
"""Pieces that a smooth path has between two of its points."""
FINEST = 0.5
"""Texels between places at which a line is met from above."""
MOST_PLACES = 200_000
FAR = 1e9
"""Texels off the line where no place of it is near."""
_kernels = Lazy("mivex.core.layers.kernels.ribbons")
Box = tuple[int, int, int, int]
"""Top, bottom, left, right."""


def smooth_path(points: Doubles) -> Doubles:
    """A smooth line through points (n, k): no corner at a point, no swing beyond its neighbours; ends as they are.

    Akima's interpolation in its modified form (Akima 1970; scipy), over the square root of the way (centripetal, Lee 1989):
    points that lie close together make no loop.
    """
    way = np.hypot(*np.diff(points[:, :2], axis=0).T) if len(points) > 1 else np.zeros(0)
    # Two points on one place have no direction between them, and the interpolation would divide by nothing.
    kept = np.concatenate([[True], way > 1e-12])
    points, way = points[kept], way[kept[1:]]
    if len(points) < 3:
        return points
    from scipy.interpolate import Akima1DInterpolator

    # Centripetal: by the root of the distances, so that close points do not make loops (Yuksel and others 2011).
    at = np.concatenate([[0.0], np.cumsum(np.sqrt(way))])
    # The same number of pieces between any two points: moving one point changes its neighbours only.
    fine = np.concatenate([np.linspace(a, b, SMOOTH, endpoint=False) for a, b in pairwise(at)] + [at[-1:]])
    return np.asarray(Akima1DInterpolator(at, points, method="makima")(fine), np.float64)


def line_of(stroke: PaintStroke, h: int, w: int, *, closed: bool = False) -> Doubles:
    """The line of a stroke, (n, 3): x, y in texels and pressure; ``closed``: it comes back to where it began."""
    at = np.array(stroke.points, np.float64).reshape(-1, 3) * [w, h, 1]
    # With two points a smooth line is the straight one.
    if not stroke.smooth or len(at) < 3:
        return at
    if closed:
        # Two points more on either side, then cut off: it is as smooth where it closes as elsewhere.
        made = smooth_path(np.concatenate([at[-2:], at, at[:3]]))
        return np.asarray(made[2 * SMOOTH : -2 * SMOOTH], np.float64)
    made = smooth_path(at)
    # The interpolation may swing a little beyond; pressure may not.
    made[:, 2] = np.clip(made[:, 2], 0, 1)
    return made


def ribbon_cover(stroke: PaintStroke, size: tuple[int, int]) -> tuple[Box, Floats] | None:
    """A pattern laid along a stroke's line, which runs through its middle; the tip's size is its width.

    Parameters
    ----------
    stroke : PaintStroke
        Its tip's form is ``pattern``.
    size : (height, width)

    Returns
    -------
    (box, cover), or None where it touches nothing
        Top, bottom, left, right, and the coverage there, (bottom - top, right - left).
    """
    h, w = size
    tip = stroke.tip
    line = line_of(stroke, h, w)
    across = tip.size * min(h, w)
    if len(line) < 2 or across <= 0:
        return None
    way = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(line[:, :2], axis=0).T))])
    if way[-1] <= 0:
        return None
    half = across / 2 * (line[:, 2] if tip.presses in ("size", "both") else np.ones(len(line)))
    # Two texels more than the widest place: soft rims and rounding.
    reach = float(half.max()) + 2
    top, low = max(math.floor(line[:, 1].min() - reach), 0), min(math.ceil(line[:, 1].max() + reach), h)
    left, right = max(math.floor(line[:, 0].min() - reach), 0), min(math.ceil(line[:, 0].max() + reach), w)
    if top >= low or left >= right:
        return None
    box = top, low, left, right
    along, off, share = (_hanging if tip.lies == "hangs" else _beside)(line, way, box, reach)
    room = np.interp(along, way, half)
    flow = np.full(along.shape, tip.flow)
    if tip.presses in ("flow", "both"):
        flow *= np.interp(along, way, line[:, 2])
    # A tile as fine as it is shown, as often as goes into the line: whole tiles, so that a closed line meets itself.
    tiles = max(1, round(way[-1] / (across * tip.repeat)))
    tile = tile_of(tip, across, way[-1] / tiles)
    out: Floats = np.zeros((low - top, right - left), np.float32)
    args = (tile, along, off, room, share, flow, tip.flipped, tiles / way[-1], out)
    run_bands(low - top, lambda a, b: _kernels.read_rows(*args, a, b))
    return box, out


def tile_of(tip: Tip, across: float, along: float) -> Floats:
    """A tile of a tip's pattern, as fine as it is shown: so many texels across the line and along it.

    Drawn in a shape of whole sixteenths and then brought to size: how often something goes into it is decided from the
    shape, and must not turn at another size because a texel was rounded.
    """
    pattern = tip.pattern if tip.pattern is not None else PATTERNS["weld"].params()
    # More texels than this are never seen of a tile, and would take seconds.
    h, w = int(np.clip(round(across), 2, 2048)), int(np.clip(round(along), 2, 4096))
    # Patterns are drawn at no fewer than sixteen texels across, then averaged: thinner ones lose their thin lines.
    k = min(math.ceil(h / 16), 128)
    wide = min(max(round(along / across * 16), 1), 4096 // k)
    made = pattern_laid(pattern, UvTransform(), (16 * k, wide * k), lambda _key, make: make())
    return made if made.shape == (h, w) else resized(made[..., None], w, h)[..., 0]


def _beside(line: Doubles, way: Doubles, box: Box, reach: float) -> tuple[Doubles, Doubles, Doubles]:
    """How far along the line each texel of a box lies, how far off it, and its share between the ends."""
    top, low, left, right = box
    shape = low - top, right - left
    # Farthest away to begin with, squared: only what is nearer than that is written.
    best, along, off, past = np.full(shape, reach**2), np.zeros(shape), np.full(shape, FAR), np.zeros(shape)
    rows = np.ascontiguousarray(np.column_stack([line[:, :2], way]))
    run_bands(shape[0], lambda a, b: _kernels.beside_rows(rows, reach, top, left, best, along, off, past, a, b))
    # A line that comes back to where it began has no ends.
    closed = bool(np.hypot(*(line[0, :2] - line[-1, :2])) < 1.0)
    return along, off, np.ones(shape) if closed else np.clip(0.5 + np.minimum(along, way[-1] - along) - past, 0, 1)


def _hanging(line: Doubles, way: Doubles, box: Box, reach: float) -> tuple[Doubles, Doubles, Doubles]:
    """The same straight down from the line: how far a texel lies below the last place of it above, whatever way it runs."""
    top, low, left, right = box
    tall, wide = low - top, right - left
    # Places lie so close that a piece between two crosses the middle of one column at most.
    count = int(min(max(math.ceil(way[-1] / FINEST), 1), MOST_PLACES))
    s = np.linspace(0, way[-1], count + 1)
    # Straight pieces: at half a texel apart their corners are not seen.
    places = np.stack([np.interp(s, way, line[:, k]) for k in range(2)], axis=1)
    a, b = places[:-1], places[1:]
    column = np.ceil(np.minimum(a[:, 0], b[:, 0]) - 0.5)
    run = b[:, 0] - a[:, 0]
    t = (column + 0.5 - a[:, 0]) / np.where(run == 0, 1, run)
    # A piece that runs straight up or down crosses no column's middle.
    good = (run != 0) & (t >= 0) & (t <= 1) & (column >= left) & (column < right)
    t, column = t[good], column[good].astype(np.int64) - left
    y = a[good, 1] + (b[good, 1] - a[good, 1]) * t
    at = s[:-1][good] + (s[1:] - s[:-1])[good] * t
    rows = np.maximum(np.ceil(y - 0.5).astype(np.int64) - top, 0)
    order = np.argsort(y, kind="stable")  # of two in one texel the lower one counts
    order = order[rows[order] < tall]
    # From above downwards, so that a lower crossing overwrites what a higher one left in the same texel.
    which = np.full((tall, wide), -1, np.int64)
    which[rows[order], column[order]] = order
    # Down each column the last crossing goes on to count until the next.
    place = np.where(which >= 0, np.arange(tall)[:, None], -1)
    place = np.maximum.accumulate(place, axis=0)
    met = place >= 0
    found = which[np.maximum(place, 0), np.arange(wide)[None]]
    found = np.where(met, found, 0)
    if not len(y):
        return np.zeros((tall, wide)), np.full((tall, wide), FAR), np.zeros((tall, wide))
    # Below the line by so much: what hangs grows downwards, whatever way the line runs.
    down = (np.arange(top, low) + 0.5)[:, None] - y[found]
    met &= down <= reach
    return np.where(met, at[found], 0.0), np.where(met, down, FAR), met.astype(np.float64)

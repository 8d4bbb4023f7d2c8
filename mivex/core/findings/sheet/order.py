"""How a sheet's frames follow one another: frames out of place, steps that are too large, loops that do not close."""

from dataclasses import dataclass

import numpy as np

from mivex.core.base.kept import memoized_on
from mivex.core.base.types import Doubles, Floats
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import LUMINANCE
from mivex.core.sheet.celled import frame_values

CLEAR = 2 / 255
"""Alpha up to which nothing is seen."""
SIDE = 96
"""Texels of the longer side at which frames are compared; finer is noise."""
OUTSIDE = 0.08
"""By so much a texel lies outside of what the frames beside show."""
PLACE, PLACE_LEAST, PLACE_BESIDE = 3.0, 0.04, 0.6
"""Out of place: so many times the usual way for nothing, at least so much, and so much of its neighbours' distance."""
LINE = 0.35
"""Share of the sprite's width or height that a line takes at least."""
STEP, STEP_LEAST, STILL = 3.0, 0.06, 0.002
"""A step is long from so many times the usual one; of a sheet whose frames are alike none is."""
LOOP_LEAST = 0.05


@dataclass(frozen=True, eq=False)
class FrameDistances:
    """How far frames are from one another, in the box that the sprite itself takes: its size and colour do not matter.

    Attributes
    ----------
    apart : float64 array (n, n)
        What differs of two frames, as a share of what both show: 0 alike, 1 where nothing of the one is in the other.
    own : float64 array (n,)
        Share of the box in which a frame is outside of what the frames beside it show; of the first and last 0.
    line : float64 array (n,)
        How much of a row or column of the box that is, against the rows a tenth of the box before and behind.
    """

    apart: Doubles
    own: Doubles
    line: Doubles

    @property
    def n(self) -> int:
        """Frames."""
        return len(self.apart)

    @property
    def steps(self) -> Doubles:
        """From each frame to the next, (n − 1,)."""
        return np.diagonal(self.apart, 1)


def distances(texture: Texture) -> FrameDistances:
    """Distances of a texture's frames.

    Each frame is its alpha and its luminance times alpha, the latter against the brightest of all frames. Their difference,
    summed over the box, is divided by twice the mean of what the frames show.
    """

    def make() -> FrameDistances:
        frames = frame_values(texture.values, texture.traits.cells)
        h, w = min(f.shape[0] for f in frames), min(f.shape[1] for f in frames)
        seen = np.zeros((h, w), bool)
        for f in frames:
            seen |= f[:h, :w, 3] > CLEAR
        rows, columns = np.flatnonzero(seen.any(axis=1)), np.flatnonzero(seen.any(axis=0))
        if not len(rows):
            return FrameDistances(np.zeros((len(frames),) * 2), *np.zeros((2, len(frames))))
        box = slice(rows[0], rows[-1] + 1), slice(columns[0], columns[-1] + 1)
        both = np.stack([_reduced(f[box]) for f in frames])
        brightest = float(both[..., 1].max())
        # What is as good as black is told by its alpha alone.
        both[..., 1] = both[..., 1] / brightest if brightest > 0.02 else 0
        flat = both.reshape(len(both), -1)
        mass = max(float(flat.sum(axis=1).mean()), 1e-9)
        apart = np.zeros((len(flat),) * 2)
        for k, f in enumerate(flat):
            apart[k] = np.abs(flat - f).sum(axis=1) / (2 * mass)
        return FrameDistances(apart, *_alone(both))

    return memoized_on(texture, "frame_distances", make)


def _reduced(frame: Floats) -> Doubles:
    """Alpha, and luminance times alpha, (h, w, 2); averaged in squares to at most `SIDE` texels."""
    alpha = frame[..., 3]
    both = np.dstack([alpha, (frame[..., :3] @ LUMINANCE) * alpha]).astype(np.float64)
    k = -(-max(both.shape[:2]) // SIDE)
    if k <= 1:
        return both
    high, wide = (-(-n // k) for n in both.shape[:2])
    padded = np.zeros((high * k, wide * k, 2))
    padded[: both.shape[0], : both.shape[1]] = both
    return np.asarray(padded.reshape(high, k, wide, k, 2).mean(axis=(1, 3)))


def _alone(both: Doubles) -> tuple[Doubles, Doubles]:
    """What of each frame lies outside of what the two beside it show: its share of the box, and how much it is a line."""
    n = len(both)
    share, line = np.zeros(n), np.zeros(n)
    for k in range(1, n - 1):
        low, high = np.minimum(both[k - 1], both[k + 1]), np.maximum(both[k - 1], both[k + 1])
        off = np.maximum(both[k] - high, low - both[k]).max(axis=-1) > OUTSIDE
        share[k] = off.mean()
        for axis in (0, 1):
            profile = off.mean(axis=1 - axis)
            reach = max(3, len(profile) // 10)
            wide = np.pad(profile, reach)
            around = np.maximum(wide[: -2 * reach], wide[2 * reach :])
            line[k] = max(line[k], float((profile - around).max()))
    return share, line


@dataclass(frozen=True)
class Break:
    """Where frames do not follow one another.

    Attributes
    ----------
    kind : str
        ``place``: a frame does not fit between those beside it; ``exchanged``: it and the next would follow one another
        the other way round; ``line``: it has a straight line that those beside it have not; ``step``: to the next one the
        picture changes by more than it does elsewhere.
    frame : int
    figure, usual : float
        Shares of what is seen; of a line, of the sprite's width or height.
    """

    kind: str
    frame: int
    figure: float
    usual: float


def _without(values: Doubles, at: int, about: int = 1) -> Doubles:
    """Values but for one and those beside it."""
    keep = np.ones(len(values), bool)
    keep[max(at - about, 0) : at + about + 1] = False
    return values[keep]


def out_of_place(d: FrameDistances) -> Break | None:
    """A frame that does not fit between those beside it, while they would fit together without it.

    ``e = (d(k−1, k) + d(k, k+1) − d(k−1, k+1)) / 2`` is the way that is made for nothing. The largest counts against those
    of the other frames but the second largest: two that were exchanged are two. Frames about which the run turns back
    are alike on both sides, and no fault.
    """
    a, n = d.apart, d.n
    if n < 7:
        return None
    k = np.arange(1, n - 1)
    e = (a[k - 1, k] + a[k, k + 1] - a[k - 1, k + 1]) / 2
    i = int(e.argmax())
    rest = _without(e, i)
    rest = _without(rest, int(rest.argmax())) if len(rest) > 4 else rest
    usual = float(np.quantile(rest, 0.9)) if len(rest) > 1 else 0.0
    f = i + 1
    steps = d.steps
    stride = float(np.median(np.delete(steps, [x for x in range(f - 2, f + 2) if 0 <= x < len(steps)])))
    near = min(a[f - 1, f], a[f, f + 1])
    turns = (
        2 <= f < n - 2 and a[f - 2, f + 2] < 0.3 * a[f - 1, f] and a[f - 1, f] < 2.2 * max(a[f - 2, f - 1], a[f + 1, f + 2])
    )
    there = e[i] > PLACE_LEAST and e[i] > PLACE * usual and e[i] > PLACE_BESIDE * a[f - 1, f + 1] and near > 1.5 * stride
    return Break("place", f, float(e[i]), usual) if there and not turns else None


def exchanged(d: FrameDistances) -> Break | None:
    """Two frames beside each other that would be nearer to those about them the other way round.

    The way saved, ``g = d(k−1, k) + d(k+1, k+2) − d(k−1, k+1) − d(k, k+2)``, is well below zero where frames follow one
    another, and about zero where they do not follow at all.
    """
    a, n = d.apart, d.n
    if n < 7:
        return None
    k = np.arange(1, n - 2)
    way = a[k - 1, k] + a[k + 1, k + 2]
    saved = way - a[k - 1, k + 1] - a[k, k + 2]
    i = int(saved.argmax())
    rest = _without(saved, i, 2)
    if len(rest) < 2:
        return None
    usual = -float(np.median(rest))
    g = float(saved[i])
    there = g > 0.6 * max(usual, 0.01) and g > 0.25 * way[i] and usual > 0.02 * way[i] and g > 2 * max(float(rest.max()), 0)
    return Break("exchanged", i + 1, g, usual) if there else None


def lined(d: FrameDistances) -> Break | None:
    """A frame with a straight line that those beside it have not, and more that is its own than others have."""
    if d.n < 5:
        return None
    k = int(d.line.argmax())
    others = float(np.delete(d.line, k).max())
    own = float(np.quantile(np.delete(d.own[1:-1], k - 1), 0.9)) if d.n > 4 else 0.0
    there = d.line[k] > LINE and d.line[k] > 1.7 * others and d.own[k] > 1.15 * own
    return Break("line", k, float(d.line[k]), others) if there else None


def long_step(d: FrameDistances) -> Break | None:
    """A step that is larger than the others, and much larger than those before and behind it."""
    steps = d.steps
    if len(steps) < 4:
        return None
    k = int(steps.argmax())
    usual = float(np.median(steps))
    beside = [float(steps[x]) for x in (k - 1, k + 1) if 0 <= x < len(steps)]
    rest = _without(steps, k)
    there = steps[k] > STEP_LEAST and usual > STILL and steps[k] > STEP * usual and steps[k] > 2 * max(beside)
    return Break("step", k, float(steps[k]), usual) if there and steps[k] > 1.6 * rest.max() else None


def first_break(d: FrameDistances) -> Break | None:
    """Where frames do not follow one another, by what says most about it; None: nowhere."""
    return exchanged(d) or lined(d) or out_of_place(d) or long_step(d)


def open_loop(d: FrameDistances) -> tuple[float, float] | None:
    """The step from the last frame back to the first and the usual one, where it is too large; else None."""
    if d.n < 3:
        return None
    back, usual = float(d.apart[-1, 0]), float(np.median(d.steps))
    return (back, usual) if back > LOOP_LEAST and back > 2.5 * usual and back > 1.5 * float(d.steps.max()) else None

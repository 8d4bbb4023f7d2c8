"""What a stroke covers: its tip, where its dabs fall, the area that it encloses; at any size."""

import math
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from functools import lru_cache
from typing import Protocol

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Doubles, Floats
from mivex.core.layers.ribbons import Box, line_of
from mivex.core.layers.strokes import PaintStroke, Tip
from mivex.core.prepare.resample import resized

cv2 = Lazy("cv2")
_kernels = Lazy("mivex.core.layers.kernels.dabs")
MOST_DABS = 20_000
"""Of one stroke."""
MOST_AREA = 400
"""Area of all dabs of one stroke, in squares of the shorter side."""
CLOSE = 0.25
"""Spacings up to this are meant as an unbroken line."""
EVEN = 0.05
"""Spacing at which the dabs of a soft line are not seen: its middle varies by 3 · 0.05² at most."""
FINE, LARGEST = 96, 1 << 24
"""Texels across at which a rough tip is laid, however small it is shown; texels of a canvas made finer for that."""


@lru_cache(64)
def _rough_tip(form: str, number: int) -> Floats:
    """Tips that are no plain discs, 96 texels a side."""
    # By its own number: the same stroke has the same tip on every machine and at every size.
    rng = np.random.default_rng(number)
    side = 96
    y, x = (np.mgrid[:side, :side].astype(np.float32) + np.float32(0.5)) / side * 2 - 1
    d = np.hypot(x, y)
    if form == "bristle":
        # The root makes the hairs as dense at the rim as in the middle.
        hairs = np.zeros((side, side), np.float32)
        for _ in range(70):
            a, r = rng.random() * math.tau, math.sqrt(rng.random()) * 0.9
            size, v = 0.03 + 0.06 * rng.random(), 0.4 + 0.6 * rng.random()
            hit = np.clip(1.5 - np.hypot(x - math.cos(a) * r, (y - math.sin(a) * r)) / size, 0, 1) * v
            np.maximum(hairs, hit, out=hairs)
        return hairs
    if form == "charcoal":
        grain = cv2.GaussianBlur(rng.random((side, side)).astype(np.float32), (0, 0), 1.2)
        # By its own spread: grain of a small picture would else be fainter than that of a large one.
        grain = (grain - grain.mean()) / max(float(grain.std()), 1e-6)
        return np.asarray(np.clip(grain * 0.9 + 0.35, 0, 1) * np.clip((1 - d) * 4, 0, 1), np.float32)
    out = np.zeros((side, side), np.float32)
    for _ in range(46):
        a, r = rng.random() * math.tau, rng.random() ** 0.7 * 0.92
        size = 0.015 + 0.11 * rng.random() ** 3
        np.maximum(
            out,
            np.clip((size - np.hypot(x - math.cos(a) * r, y - math.sin(a) * r)) * side / 2 + 0.5, 0, 1),
            out=out,
            # Half a texel soft, so that a stipple of less than a texel fades in place of vanishing.
        )
    return out


def tip_of(tip: Tip, number: int, stamp: Callable[[str], Floats], side: int) -> tuple[int, Floats]:
    """How a tip is drawn: a code and, for a rough one, its picture, no finer than it is shown: ``side`` texels across."""
    none: Floats = np.zeros((1, 1), np.float32)
    if tip.form == "hard" or (tip.form == "stamp" and not tip.stamp):
        return 0, none
    if tip.form == "soft":
        return 1, none
    picture = stamp(tip.stamp) if tip.form == "stamp" else _rough_tip(tip.form, number % 8)
    if side < picture.shape[0]:
        picture = resized(picture[..., None], side, side)[..., 0]
    return 2, picture


def shown_texels(tip: Tip, short: int) -> int:
    """Texels across at which a tip is shown; ``short``: of the canvas' shorter side."""
    return max(2, round(tip.size * short))


def spaced(stroke: PaintStroke, way: Doubles, pressure: Doubles, across: float, share: float) -> tuple[Doubles, Doubles]:
    """How far along a line its dabs stand, (n,), and three numbers by chance for each, (n, 3).

    Parameters
    ----------
    stroke : PaintStroke
    way, pressure : float64 arrays (k,)
        How far each of the line's points lies from the first, and the pressure there.
    across : float
        The tip's size at full pressure, in the unit of ``way``.
    share : float
        The same as a share of what is painted on.
    """
    tip = stroke.tip
    # Very large dabs, or very many, would take minutes: they are spaced more widely.
    most = min(MOST_DABS, max(64.0, MOST_AREA / share**2))
    spacing = tip.spacing
    # A soft tip whose dabs are far apart shows beads; closer dabs cost little and are not seen as such.
    if tip.form == "soft" and not tip.build_up and tip.scatter == 0 and spacing <= CLOSE:
        spacing = min(spacing, EVEN)
    gap = across * spacing
    # Pressure can make a dab as small as nothing: three floors keep the count of dabs finite.
    least = max(1e-6 * across / share, way[-1] / most, 0.02 * gap)
    pressed = pressure if tip.presses in ("size", "both") else np.ones(len(pressure))
    s: Doubles = _kernels.ways(way, np.ascontiguousarray(pressed), gap, least, MOST_DABS + 2)
    # Three numbers a dab, in order: the first dabs stay when more come.
    return s, np.random.default_rng(stroke.seed).random((len(s), 3))


def dabs_of(stroke: PaintStroke, h: int, w: int) -> Floats:
    """Where a stroke's dabs fall, (n, 7) float32: x, y, half size in texels; cosine, sine of the turn; flow; turned over.

    Each stands a share of its drawn size behind the one before, so that a stroke that grows keeps the dabs that it has.
    The last is −1 where the tip is mirrored, else 1.
    """
    tip = stroke.tip
    if not stroke.points:
        return np.zeros((0, 7), np.float32)
    short = min(h, w)
    at = line_of(stroke, h, w)
    steps = np.hypot(*np.diff(at[:, :2], axis=0).T) if len(at) > 1 else np.zeros(0)
    way = np.concatenate([[0.0], np.cumsum(steps)])
    s, luck = spaced(stroke, way, at[:, 2], tip.size * short, tip.size)
    x, y, p = (np.interp(s, way, at[:, k]) for k in range(3))
    # The drawn size, not the set one, so that pressure narrows a line without opening gaps in it.
    size = tip.size * short / 2 * (p if tip.presses in ("size", "both") else 1)
    flow = tip.flow * (p if tip.presses in ("flow", "both") else 1)
    if tip.scatter > 0:
        # Evenly over the disc, by the root, not gathered in its middle.
        far = np.sqrt(luck[:, 0]) * tip.scatter * tip.size * short
        x, y = x + np.cos(luck[:, 1] * math.tau) * far, y + np.sin(luck[:, 1] * math.tau) * far
    turn = np.zeros(len(s))
    if tip.turn == "random":
        turn = luck[:, 2] * math.tau
    elif tip.turn == "along" and len(s) > 1:
        # Along the piece of the line that the dab stands on; the last one takes the last piece.
        i = np.clip(np.searchsorted(way, s, side="right") - 1, 0, len(at) - 2)
        turn = np.arctan2(at[i + 1, 1] - at[i, 1], at[i + 1, 0] - at[i, 0])
    one = np.ones(len(s))
    rows = np.stack([x, y, np.maximum(size, 1e-3) * one, np.cos(turn), np.sin(turn), flow * one, one], axis=1)
    # The mirrored dab follows its own: a stroke that grows keeps the order of what it has laid.
    if stroke.mirror:
        other = rows.copy()
        other[:, 0], other[:, 6] = w - other[:, 0], -1
        rows = np.stack([rows, other], axis=1).reshape(-1, 7)
    return rows.astype(np.float32)


def box_of(dabs: Floats, h: int, w: int, *, wrap: bool = False) -> Box | None:
    """The piece of the canvas that dabs touch; all of it where one goes round the side; None where none does."""
    if not len(dabs):
        return None
    # A square stamp turned by 45 degrees reaches 1.42 times its half side; two texels more for soft edges.
    reach = dabs[:, 2] * 1.42 + 2
    top, low = math.floor(float((dabs[:, 1] - reach).min())), math.ceil(float((dabs[:, 1] + reach).max()))
    left, right = math.floor(float((dabs[:, 0] - reach).min())), math.ceil(float((dabs[:, 0] + reach).max()))
    # Round the side it may touch all four corners: one box for that is all of the canvas.
    if wrap and (top < 0 or left < 0 or low > h or right > w):
        return 0, h, 0, w
    top, low, left, right = max(top, 0), min(low, h), max(left, 0), min(right, w)
    return (top, low, left, right) if low > top and right > left else None


@dataclass(frozen=True, eq=False)
class Pull:
    """What one dab of a stroke that softens or draws out does on a surface.

    Attributes
    ----------
    at : rows, columns
        Texels that it may touch, (n,) each.
    cover : float32 array (n,)
        How much of them is replaced.
    moved : callable
        Takes what stands there, (n, k), and gives what comes there instead.
    """

    at: tuple[NDArray[np.int64], NDArray[np.int64]]
    cover: Floats
    moved: Callable[[Floats], Floats]


class SurfaceCanvas(Protocol):
    """The coverage of one stroke on the surface of a mesh, as it grows; ``values`` (height, width)."""

    values: Floats

    def lay(self, stroke: PaintStroke) -> Box | None:
        """Lay what a stroke has got since the last time; the piece that it touches, None: none."""

    def pulls(self, stroke: PaintStroke) -> Iterator["Pull"]:
        """What a stroke that softens or draws out does, dab by dab."""


class Cover:
    """The coverage of one stroke on a whole canvas, as it grows.

    Rough tips are laid on a finer canvas and averaged: of what is fine, the largest of means is not the mean of the
    largest, and a stroke would hold other ink at another size.

    Parameters
    ----------
    stroke : PaintStroke
        Its tip.
    size : (height, width)
    stamp : callable
        A tip's picture by path.
    """

    def __init__(self, stroke: PaintStroke, size: tuple[int, int], stamp: Callable[[str], Floats]) -> None:
        h, w = size
        rough = stroke.tip.form not in ("hard", "soft")
        side = max(stroke.tip.size * min(h, w), 1.0)
        # Rough tips are laid finer than the canvas where they are small, then averaged: a stamp of four texels keeps
        # its ink.
        self.scale = max(1, min(math.ceil(FINE / side), math.isqrt(LARGEST // (h * w)), 32)) if rough else 1
        self._fine: Floats = np.zeros((h * self.scale, w * self.scale), np.float32)
        self._form, self._tip = tip_of(stroke.tip, stroke.seed, stamp, shown_texels(stroke.tip, min(h, w) * self.scale))
        self._wrap = (w * self.scale, h * self.scale) if stroke.wrap else (0, 0)
        self._builds = stroke.tip.build_up

    def lay(self, dabs: Floats, box: Box) -> None:
        """Lay dabs, in texels of the canvas, that stay in a box."""
        k = self.scale
        top, low, left, right = (v * k for v in box)
        part = self._fine[top:low, left:right]
        fine = dabs * np.array([k, k, k, 1, 1, 1, 1], np.float32)
        args = (part, fine, self._tip, self._form, self._builds, self._wrap, top, left)
        run_bands(low - top, lambda a, b: _kernels.dabs_rows(*args, a, b))

    def part(self, box: Box) -> Floats:
        """The coverage in a box of the canvas, (height, width)."""
        # Only the box is made smaller again; the finer canvas stays as it is for the next dab.
        k = self.scale
        top, low, left, right = box
        fine = self._fine[top * k : low * k, left * k : right * k]
        return fine if k == 1 else resized(fine[..., None], right - left, low - top)[..., 0]


def area_cover(corners: Doubles, h: int, w: int) -> Floats:
    """Coverage by the area that corners (n, 2) enclose: exact along rows, of 32 lines a texel; inside by even and odd."""
    out: Floats = np.zeros((h, w), np.float32)
    if len(corners) >= 3:
        corners = np.ascontiguousarray(corners[:, :2])
        run_bands(h, lambda a, b: _kernels.area_rows(corners, out, a, b))
    return out

"""Strokes become paint: values and weights by channel, at any size.

Paint is held as value times weight and weight. A dab of coverage t and value v gives ``P' = P (1 − t) + v t`` and
``W' = W + (1 − W) t``; clearing multiplies both by ``1 − t``, so that what lay below comes back.
"""

import math
from collections.abc import Callable, Mapping
from dataclasses import dataclass
from functools import lru_cache

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.layers.channels import COLOURED
from mivex.core.layers.strokes import PaintStroke, Point, Tip
from mivex.core.pixels.colour import to_linear
from mivex.core.prepare.resample import resized

cv2 = Lazy("cv2")
_kernels = Lazy("mivex.core.layers.kernels.dabs")
MOST_DABS = 20_000
"""Of one stroke."""
MOST_AREA = 400
"""Area of all dabs of one stroke, in squares of the shorter side."""
Box = tuple[int, int, int, int]
"""Top, bottom, left, right."""


@dataclass(frozen=True, eq=False)
class Paint:
    """What is painted of one channel: ``value`` (h, w, k) multiplied by ``weight`` (h, w)."""

    value: Floats
    weight: Floats

    def straight(self) -> Floats:
        """The value itself; 0 where nothing is painted."""
        k = self.weight[..., None]
        return np.divide(self.value, k, out=np.zeros_like(self.value), where=k > 1e-6)


Painted = Mapping[str, Paint]


def blank(channel: str, h: int, w: int) -> Paint:
    """Paint of weight 0 everywhere, for a channel of a canvas (height, width)."""
    return Paint(np.zeros((h, w, 3 if channel in COLOURED else 1), np.float32), np.zeros((h, w), np.float32))


@lru_cache(64)
def _rough_tip(form: str, number: int) -> Floats:
    """Tips that are no plain discs, 96 texels a side."""
    rng = np.random.default_rng(number)
    side = 96
    y, x = (np.mgrid[:side, :side].astype(np.float32) + np.float32(0.5)) / side * 2 - 1
    d = np.hypot(x, y)
    if form == "bristle":
        hairs = np.zeros((side, side), np.float32)
        for _ in range(70):
            a, r = rng.random() * math.tau, math.sqrt(rng.random()) * 0.9
            size, v = 0.03 + 0.06 * rng.random(), 0.4 + 0.6 * rng.random()
            hit = np.clip(1.5 - np.hypot(x - math.cos(a) * r, (y - math.sin(a) * r)) / size, 0, 1) * v
            np.maximum(hairs, hit, out=hairs)
        return hairs
    if form == "charcoal":
        grain = cv2.GaussianBlur(rng.random((side, side)).astype(np.float32), (0, 0), 1.2)
        grain = (grain - grain.mean()) / max(float(grain.std()), 1e-6)
        return np.asarray(np.clip(grain * 0.9 + 0.35, 0, 1) * np.clip((1 - d) * 4, 0, 1), np.float32)
    out = np.zeros((side, side), np.float32)
    for _ in range(46):
        a, r = rng.random() * math.tau, rng.random() ** 0.7 * 0.92
        size = 0.015 + 0.11 * rng.random() ** 3
        np.maximum(
            out, np.clip((size - np.hypot(x - math.cos(a) * r, y - math.sin(a) * r)) * side / 2 + 0.5, 0, 1), out=out
        )
    return out


def tip_of(tip: Tip, number: int, stamp: Callable[[str], Floats], short: int) -> tuple[int, Floats]:
    """How a tip is drawn: a code and, for a rough one, its picture, no finer than it is shown."""
    none: Floats = np.zeros((1, 1), np.float32)
    if tip.form == "hard" or (tip.form == "stamp" and not tip.stamp):
        return 0, none
    if tip.form == "soft":
        return 1, none
    picture = stamp(tip.stamp) if tip.form == "stamp" else _rough_tip(tip.form, number % 8)
    side = max(2, round(tip.size * short))
    if side < picture.shape[0]:
        picture = resized(picture[..., None], side, side)[..., 0]
    return 2, picture


def dabs_of(stroke: PaintStroke, h: int, w: int) -> Floats:
    """Where a stroke's dabs fall, (n, 6) float32: x, y, half size in texels; cosine, sine of the turn; flow.

    They stand at even ways along the line, so that a stroke that grows keeps the dabs that it has.
    """
    tip, points = stroke.tip, stroke.points
    if not points:
        return np.zeros((0, 6), np.float32)
    short = min(h, w)
    at = np.array(points, np.float64) * [w, h, 1]
    steps = np.hypot(*np.diff(at[:, :2], axis=0).T) if len(at) > 1 else np.zeros(0)
    way = np.concatenate([[0.0], np.cumsum(steps)])
    # Very large dabs, or very many, would take minutes: they are spaced more widely.
    most = min(MOST_DABS, max(64.0, MOST_AREA / tip.size**2))
    gap = max(tip.size * tip.spacing * short, 1e-6, way[-1] / most)
    s = np.arange(int(way[-1] / gap + 1e-9) + 1) * gap
    x, y, p = (np.interp(s, way, at[:, k]) for k in range(3))
    rng = np.random.default_rng(stroke.seed)
    # Three numbers a dab, in order: the first dabs stay when more come.
    luck = rng.random((len(s), 3))
    size = tip.size * short / 2 * (p if tip.presses in ("size", "both") else 1)
    flow = tip.flow * (p if tip.presses in ("flow", "both") else 1)
    if tip.scatter > 0:
        far = np.sqrt(luck[:, 0]) * tip.scatter * tip.size * short
        x, y = x + np.cos(luck[:, 1] * math.tau) * far, y + np.sin(luck[:, 1] * math.tau) * far
    turn = np.zeros(len(s))
    if tip.turn == "random":
        turn = luck[:, 2] * math.tau
    elif tip.turn == "along" and len(s) > 1:
        i = np.clip(np.searchsorted(way, s, side="right") - 1, 0, len(at) - 2)
        turn = np.arctan2(at[i + 1, 1] - at[i, 1], at[i + 1, 0] - at[i, 0])
    rows = np.stack([x, y, np.maximum(size, 0.05) + 0 * x, np.cos(turn), np.sin(turn), flow + 0 * x], axis=1)
    if stroke.mirror:
        other = rows.copy()
        other[:, 0], other[:, 4] = w - other[:, 0], -other[:, 4]
        rows = np.stack([rows, other], axis=1).reshape(-1, 6)
    return rows.astype(np.float32)


def box_of(dabs: Floats, h: int, w: int, *, wrap: bool = False) -> Box | None:
    """The piece of the canvas that dabs touch; all of it where one goes round the side; None where none does."""
    if not len(dabs):
        return None
    reach = dabs[:, 2] * 1.42 + 2
    top, low = math.floor(float((dabs[:, 1] - reach).min())), math.ceil(float((dabs[:, 1] + reach).max()))
    left, right = math.floor(float((dabs[:, 0] - reach).min())), math.ceil(float((dabs[:, 0] + reach).max()))
    if wrap and (top < 0 or left < 0 or low > h or right > w):
        return 0, h, 0, w
    top, low, left, right = max(top, 0), min(low, h), max(left, 0), min(right, w)
    return (top, low, left, right) if low > top and right > left else None


def lay(cover: Floats, dabs: Floats, stroke: PaintStroke, box: Box, stamp: Callable[[str], Floats]) -> None:
    """Lay dabs into the coverage of a whole canvas, in place."""
    h, w = cover.shape
    form, tip = tip_of(stroke.tip, stroke.seed, stamp, min(h, w))
    top, low, left, right = box
    part = cover[top:low, left:right]
    wrap = (w, h) if stroke.wrap else (0, 0)
    run_bands(low - top, lambda a, b: _kernels.dabs_rows(part, dabs, tip, form, stroke.tip.build_up, wrap, top, left, a, b))


def area_cover(points: tuple[Point, ...], h: int, w: int) -> Floats:
    """Coverage by the area that points enclose; sixteen samples a texel."""
    out: Floats = np.zeros((h, w), np.float32)
    if len(points) < 3:
        return out
    corners = np.array([(x * w, y * h) for x, y, _ in points])
    left, top = np.clip(np.floor(corners.min(axis=0)).astype(int), 0, [w, h])
    right, low = np.clip(np.ceil(corners.max(axis=0)).astype(int) + 1, 0, [w, h])
    if right <= left or low <= top:
        return out
    fine = np.zeros(((low - top) * 4, (right - left) * 4), np.uint8)
    cv2.fillPoly(fine, [np.round(((corners - [left, top]) * 4 - 0.5) * 16).astype(np.int32)], 255, shift=4)
    out[top:low, left:right] = cv2.resize(fine, (right - left, low - top), interpolation=cv2.INTER_AREA) / np.float32(255)
    return out


def colour_of(channel: str, value: object) -> Floats:
    """A stroke's value as it is reckoned with: linear light for colours."""
    values = np.atleast_1d(np.asarray(value, np.float32))
    if channel in COLOURED:
        return to_linear(np.ascontiguousarray(np.broadcast_to(values, (3,)), np.float32))
    return values[:1].copy()


def apply_cover(painted: dict[str, Paint], stroke: PaintStroke, cover: Floats, box: Box, channels: tuple[str, ...]) -> None:
    """Lay a stroke's coverage over paint, in place, in a box. ``channels``: what a clearing stroke clears."""
    top, low, left, right = box
    part = cover[top:low, left:right]
    share = np.float32(stroke.tip.strength)
    for channel in channels if stroke.does == "clear" and not stroke.values else tuple(stroke.values):
        if channel not in painted:
            continue
        p = painted[channel]
        value, weight = p.value[top:low, left:right], p.weight[top:low, left:right]
        colour = np.zeros(0, np.float32) if stroke.does == "clear" else colour_of(channel, stroke.values[channel])
        add = stroke.join == "add" and channel in COLOURED
        args = (value, weight, part, share, colour, add)
        run_bands(low - top, lambda a, b, args=args: _kernels.paint_rows(*args, a, b))  # type: ignore[misc]


def _dragged(
    painted: dict[str, Paint], stroke: PaintStroke, dabs: Floats, stay: Floats | None, stamp: Callable[[str], Floats]
) -> None:
    """Soften, or smudge: what lies under the tip is blurred, or carried along from dab to dab; in place."""
    names = tuple(stroke.values) or tuple(painted)
    for k, dab in enumerate(dabs):
        any_ = next(iter(painted.values()))
        h, w = any_.weight.shape
        box = box_of(dab[None], h, w)
        if box is None or (stroke.does == "smudge" and k == 0):
            continue
        top, low, left, right = box
        cover: Floats = np.zeros((low - top, right - left), np.float32)
        form, tip = tip_of(stroke.tip, stroke.seed, stamp, min(h, w))
        _kernels.dabs_rows(cover, dab[None], tip, form, False, (0, 0), top, left, 0, low - top)
        cover *= np.float32(stroke.tip.strength)
        if stay is not None:
            cover *= stay[top:low, left:right]
        for name in names:
            if name not in painted:
                continue
            p = painted[name]
            both = np.concatenate([p.value[top:low, left:right], p.weight[top:low, left:right, None]], axis=2)
            if stroke.does == "soften":
                moved = cv2.GaussianBlur(both, (0, 0), max(float(dab[2]) * 0.3, 0.3), borderType=cv2.BORDER_REPLICATE)
            else:
                dx, dy = (float(v) for v in dabs[k, :2] - dabs[k - 1, :2])
                shift = np.array([[1, 0, dx], [0, 1, dy]], np.float32)
                moved = cv2.warpAffine(
                    both, shift, (right - left, low - top), flags=cv2.INTER_LINEAR, borderMode=cv2.BORDER_REPLICATE
                )
            both += (moved.reshape(both.shape) - both) * cover[..., None]
            p.value[top:low, left:right], p.weight[top:low, left:right] = both[..., :-1], both[..., -1]


def painted(
    before: Painted,
    strokes: tuple[PaintStroke, ...],
    size: tuple[int, int],
    channels: tuple[str, ...],
    stamp: Callable[[str], Floats],
    region: Callable[[str], Floats],
) -> dict[str, Paint]:
    """Paint after more strokes.

    Parameters
    ----------
    before : mapping of channel to Paint
    strokes : tuple of PaintStroke
    size : (height, width)
    channels : tuple of str
        Channels that can be painted; a clearing stroke that names none clears them all.
    stamp, region : callable
        A tip's picture by path; the coverage (height, width) of chosen triangles.
    """
    h, w = size
    out = {c: Paint(p.value.copy(), p.weight.copy()) for c, p in before.items()}
    for c in channels:
        if c not in out:
            out[c] = blank(c, h, w)
    for s in strokes:
        stay = region(s.faces) if s.faces else None
        if s.does in ("soften", "smudge"):
            _dragged(out, s, dabs_of(s, h, w), stay, stamp)
            continue
        if s.area:
            cover, box = area_cover(s.points, h, w), (0, h, 0, w)
        else:
            dabs = dabs_of(s, h, w)
            found = box_of(dabs, h, w, wrap=s.wrap)
            if found is None:
                continue
            cover, box = np.zeros((h, w), np.float32), found
            lay(cover, dabs, s, box, stamp)
        if stay is not None:
            cover *= stay
        apply_cover(out, s, cover, box, channels)
    return out

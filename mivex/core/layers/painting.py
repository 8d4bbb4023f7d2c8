"""Strokes become paint: values and weights by channel, at any size.

Paint is held as value times weight and weight. A dab of coverage t and value v gives ``P' = P (1 − t) + v t`` and
``W' = W + (1 − W) t``; clearing multiplies both by ``1 − t``, so that what lay below comes back.
"""

import math
from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Any

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.layers.channels import COLOURED
from mivex.core.layers.dabs import Box, Cover, SurfaceCanvas, area_cover, box_of, dabs_of, shown_texels, tip_of
from mivex.core.layers.ribbons import line_of, ribbon_cover
from mivex.core.layers.strokes import PaintStroke
from mivex.core.pixels.colour import to_linear

cv2 = Lazy("cv2")
_kernels = Lazy("mivex.core.layers.kernels.dabs")


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


def colour_of(channel: str, value: object) -> Floats:
    """A stroke's value as it is reckoned with: linear light for colours."""
    values = np.atleast_1d(np.asarray(value, np.float32))
    if channel in COLOURED:
        return to_linear(np.ascontiguousarray(np.broadcast_to(values, (3,)), np.float32))
    return values[:1].copy()


def apply_cover(painted: dict[str, Paint], stroke: PaintStroke, cover: Floats, box: Box, channels: tuple[str, ...]) -> None:
    """Lay a stroke's coverage of a box over paint, in place. ``channels``: what a clearing stroke clears."""
    top, low, left, right = box
    part = cover
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
    h, w = next(iter(painted.values())).weight.shape
    form, tip = tip_of(stroke.tip, stroke.seed, stamp, shown_texels(stroke.tip, min(h, w)))
    back = 2 if stroke.mirror else 1  # the two halves take turns
    for k, dab in enumerate(dabs):
        if stroke.does == "smudge" and k < back:
            continue
        there = _rows_and_columns(dab, h, w, wrap=stroke.wrap)
        if there is None:
            continue
        (top, left), at = there
        cover: Floats = np.zeros((at[0].shape[0], at[1].shape[1]), np.float32)
        _kernels.dabs_rows(cover, dab[None], tip, form, False, (0, 0), top, left, 0, cover.shape[0])
        cover *= np.float32(stroke.tip.strength)
        if stay is not None:
            cover *= stay[at]
        for name in names:
            if name not in painted:
                continue
            p = painted[name]
            both = np.concatenate([p.value[at], p.weight[at][..., None]], axis=2)
            if stroke.does == "soften":
                moved = cv2.GaussianBlur(both, (0, 0), max(float(dab[2]) * 0.3, 0.3), borderType=cv2.BORDER_REPLICATE)
            else:
                dx, dy = (float(v) for v in dabs[k, :2] - dabs[k - back, :2])
                moved = _shifted(both, dx, dy)
            both += (moved.reshape(both.shape) - both) * cover[..., None]
            p.value[at], p.weight[at] = both[..., :-1], both[..., -1]


def _pulled(painted: dict[str, Paint], stroke: PaintStroke, canvas: SurfaceCanvas, stay: Floats | None) -> None:
    """The same on the surface of a mesh; in place."""
    names = [n for n in (tuple(stroke.values) or tuple(painted)) if n in painted]
    for pull in canvas.pulls(stroke):
        share = pull.cover * np.float32(stroke.tip.strength)
        if stay is not None:
            share = share * stay[pull.at]
        for name in names:
            p = painted[name]
            both = np.concatenate([p.value[pull.at], p.weight[pull.at][:, None]], axis=1)
            both += (pull.moved(both) - both) * share[:, None]
            p.value[pull.at], p.weight[pull.at] = both[:, :-1], both[:, -1]


def _shifted(values: Floats, dx: float, dy: float) -> Floats:
    """Values (h, w, k) moved to the right and down, linear between texels; beyond the border stands the border."""
    # Not OpenCV's warp: it knows thirty-seconds of a texel only, and leans to one side.
    h, w = values.shape[:2]
    reach = math.ceil(max(abs(dx), abs(dy))) + 1
    wide = np.pad(values, ((reach, reach), (reach, reach), (0, 0)), mode="edge")
    left, top = math.floor(-dx), math.floor(-dy)
    fx, fy = np.float32(-dx - left), np.float32(-dy - top)
    out = np.zeros_like(values)
    for j, sy in ((0, 1 - fy), (1, fy)):
        for i, sx in ((0, 1 - fx), (1, fx)):
            y, x = reach + top + j, reach + left + i
            out += wide[y : y + h, x : x + w] * (sx * sy)
    return out


def _rows_and_columns(dab: Floats, h: int, w: int, *, wrap: bool) -> tuple[tuple[int, int], tuple[Any, ...]] | None:
    """The piece that a dab touches: where it begins, and its rows and columns, which may go on at the other side."""
    if not wrap:
        box = box_of(dab[None], h, w)
        return None if box is None else ((box[0], box[2]), np.ix_(np.arange(*box[:2]), np.arange(*box[2:])))
    x, y, reach = float(dab[0]), float(dab[1]), float(dab[2]) * 1.42 + 2
    top, left = math.floor(y - reach), math.floor(x - reach)
    # Never a texel twice: of a dab as large as the canvas only one turn counts.
    rows = np.arange(top, min(math.ceil(y + reach), top + h))
    columns = np.arange(left, min(math.ceil(x + reach), left + w))
    return (top, left), np.ix_(rows % h, columns % w)


def _copies(stroke: PaintStroke) -> list[PaintStroke]:
    """An area or a ribbon as often as it is on the canvas: turned over at the middle, and come in at the other side."""
    out = [stroke]
    if stroke.mirror:
        # The other half's line runs the other way: what lay right of it lies left, but for what hangs down.
        turned = stroke.tip.model_copy(update={"flipped": stroke.tip.flipped != (stroke.tip.lies == "along")})
        points = tuple((1 - x, y, p) for x, y, p in stroke.points)
        out.append(stroke.model_copy(update={"points": points, "tip": turned}))
    if not stroke.wrap:
        return out
    ways = [(dx, dy) for dx in (0, -1, 1) for dy in (0, -1, 1)]
    return [
        s.model_copy(update={"points": tuple((x + dx, y + dy, p) for x, y, p in s.points)}) for s in out for dx, dy in ways
    ]


def _joined(stroke: PaintStroke, size: tuple[int, int]) -> tuple[Box, Floats] | None:
    """The coverage of an area or a ribbon in all its copies; where they meet the larger counts."""
    h, w = size
    found: list[tuple[Box, Floats]] = []
    for s in _copies(stroke):
        if s.area:
            found.append(((0, h, 0, w), area_cover(line_of(s, h, w, closed=True), h, w)))
        elif (laid := ribbon_cover(s, size)) is not None:
            found.append(laid)
    if len(found) < 2:
        return found[0] if found else None
    tops, lows, lefts, rights = zip(*(b for b, _ in found), strict=True)
    box = min(tops), max(lows), min(lefts), max(rights)
    whole: Floats = np.zeros((box[1] - box[0], box[3] - box[2]), np.float32)
    for (top, low, left, right), cover in found:
        part = whole[top - box[0] : low - box[0], left - box[2] : right - box[2]]
        np.maximum(part, cover, out=part)
    return box, whole


def stroke_cover(stroke: PaintStroke, size: tuple[int, int], stamp: Callable[[str], Floats]) -> tuple[Box, Floats] | None:
    """The piece of a canvas (height, width) that a stroke covers, and by how much; None where it covers nothing."""
    h, w = size
    if stroke.area or stroke.tip.form == "pattern":
        return _joined(stroke, size)
    dabs = dabs_of(stroke, h, w)
    box = box_of(dabs, h, w, wrap=stroke.wrap)
    if box is None:
        return None
    whole = Cover(stroke, size, stamp)
    whole.lay(dabs, box)
    return box, whole.part(box)


def painted(
    before: Painted,
    strokes: tuple[PaintStroke, ...],
    size: tuple[int, int],
    channels: tuple[str, ...],
    stamp: Callable[[str], Floats],
    region: Callable[[str], Floats],
    surface: Callable[[], SurfaceCanvas],
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
    surface : callable
        Gives a fresh coverage for a stroke on the surface of the mesh.
    """
    h, w = size
    out = {c: Paint(p.value.copy(), p.weight.copy()) for c, p in before.items()}
    for c in channels:
        if c not in out:
            out[c] = blank(c, h, w)
    for s in strokes:
        stay = region(s.faces) if s.faces else None
        if s.does in ("soften", "smudge") and s.surface:
            _pulled(out, s, surface(), stay)
            continue
        if s.does in ("soften", "smudge"):
            _dragged(out, s, dabs_of(s, h, w), stay, stamp)
            continue
        if s.surface:
            on = surface()
            touched = on.lay(s)
            if touched is None:
                continue
            top, low, left, right = box = touched
            cover = on.values[top:low, left:right]
            stay = stay if stay is None else stay[top:low, left:right]
        else:
            laid = stroke_cover(s, size, stamp)
            if laid is None:
                continue
            box, cover = laid
            top, low, left, right = box
            stay = stay if stay is None else stay[top:low, left:right]
        if stay is not None:
            cover = cover * stay
        apply_cover(out, s, np.ascontiguousarray(cover), box, channels)
    return out

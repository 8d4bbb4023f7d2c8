"""Motion between the frames of a sheet: vectors along which what is seen moves, so that fewer frames look as smooth.

References
----------
Kroeger, Timofte, Dai and Van Gool (2016), *Fast Optical Flow using Dense Inverse Search*: how the vectors are found
(OpenCV).
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np

from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.kept import memoized_on
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import LUMINANCE, to_display, to_linear
from mivex.core.prepare.spread import pull_push
from mivex.core.sheet.bleed import cell_texels
from mivex.core.sheet.celled import frame_values
from mivex.core.sheet.model import Play

cv2 = Lazy("cv2")
FOUND_AT = 128
"""Texels of a frame's shorter side at which its motion is looked for; smaller frames are enlarged."""
SEEN = 0.02
"""Alpha from which a texel has a motion of its own; elsewhere it takes that of what is seen nearby."""
GREY = 0.5
"""What frames are compared over."""


def _grey(frame: Floats, scale: int) -> Floats:
    """What motion is looked for in: alpha and luminance, 0 to 255, enlarged."""
    alpha = frame[..., 3]
    mixed = (0.5 * alpha + 0.5 * (frame[..., :3] @ LUMINANCE) * alpha).astype(np.float32)
    if scale > 1:
        mixed = cv2.resize(mixed, None, fx=scale, fy=scale, interpolation=cv2.INTER_CUBIC)
    return np.clip(mixed * 255, 0, 255)


def between(a: Floats, b: Floats) -> Floats:
    """How what is seen moves from one frame to the next.

    Parameters
    ----------
    a, b : float32 arrays (h, w, 4)
        Straight RGBA as stored.

    Returns
    -------
    float32 array (h, w, 2)
        To the right and down, in shares of the frame's sides: what stands at p in ``a`` stands at p + v in ``b``.
    """
    h, w = a.shape[:2]
    scale = max(1, -(-FOUND_AT // min(h, w)))
    finder = cv2.DISOpticalFlow_create(cv2.DISOPTICAL_FLOW_PRESET_MEDIUM)
    pair = [_grey(f, scale).astype(np.uint8) for f in (a, b)]
    found = finder.calc(pair[0], pair[1], None)
    if scale > 1:
        found = cv2.resize(found, (w, h), interpolation=cv2.INTER_AREA) / scale
    seen = np.maximum(a[..., 3], b[..., 3]) > SEEN
    if not seen.any():
        return np.zeros((h, w, 2), np.float32)
    if not seen.all():
        # Beyond the shape the motion of its rim goes on: what comes in there is looked up along it.
        wide = np.dstack([found, np.zeros((h, w))]).astype(np.float32)
        found = np.where(seen[..., None], found, pull_push(wide, seen)[..., :2])
    return np.ascontiguousarray(found / np.array([w, h], np.float32), np.float32)


def _places(h: int, w: int) -> Floats:
    """Where each texel lies, in shares of the frame, (h, w, 2)."""
    return np.dstack(np.meshgrid((np.arange(w) + 0.5) / w, (np.arange(h) + 0.5) / h)).astype(np.float32)


def _light(frame: Floats, *, data: bool) -> Floats:
    """Colour as light times alpha, and alpha."""
    rgb = frame[..., :3] if data else to_linear(np.ascontiguousarray(frame[..., :3]))
    return np.dstack([rgb * frame[..., 3:], frame[..., 3]]).astype(np.float32)


def _read(values: Floats, at: Floats) -> Floats:
    h, w = values.shape[:2]
    x, y = at[..., 0] * w - 0.5, at[..., 1] * h - 0.5
    return np.asarray(cv2.remap(values, x, y, cv2.INTER_LINEAR, borderMode=cv2.BORDER_REPLICATE), np.float32)


def moved(a: Floats, b: Floats, vectors: Floats, share: float, *, data: bool = False) -> Floats:
    """What is shown between two frames: both moved along the vectors, and faded.

    ``shown(p) = (1 − t) a(p − t v(p)) + t b(p + (1 − t) v(p))``, in light multiplied by alpha; p in shares of the frame.

    Parameters
    ----------
    a, b : float32 arrays (h, w, 4)
        Straight RGBA as stored.
    vectors : float32 array (h, w, 2)
        As `between` gives them.
    share : float
        t, from 0 (the first frame, as it is) to 1 (the second).
    data : bool
        The frames are no colour.

    Returns
    -------
    float32 array (h, w, 4)
        Straight RGBA as stored.
    """
    t, place = np.float32(share), _places(*a.shape[:2])
    first = _read(_light(a, data=data), place - t * vectors)
    second = _read(_light(b, data=data), place + (1 - t) * vectors)
    both = first * (1 - t) + second * t
    alpha = both[..., 3:]
    rgb = np.divide(both[..., :3], alpha, out=np.zeros_like(both[..., :3]), where=alpha > 1e-6)
    rgb = np.clip(rgb, 0, 1)
    stored = rgb if data else to_display(np.ascontiguousarray(rgb))
    return np.dstack([stored, np.clip(both[..., 3], 0, 1)]).astype(np.float32)


def _next(count: int, play: Play) -> list[int]:
    """The frame that follows each."""
    return [(k + 1) % count if play == "loop" else min(k + 1, count - 1) for k in range(count)]


def vectors_of(texture: Texture, play: Play, stop: Callable[[], bool] = lambda: False) -> list[Floats]:
    """The motion from each frame of a sheet to the one that follows; at its end, where it does not loop, none."""

    def make() -> list[Floats]:
        frames = frame_values(texture.values, texture.traits.cells)
        rows = []
        for k, n in enumerate(_next(len(frames), play)):
            if stop():
                raise Stopped
            a, b = frames[k], frames[n]
            # Cells of two grids differ in size: between such frames nothing moves.
            rows.append(between(a, b) if k != n and a.shape == b.shape else np.zeros((*a.shape[:2], 2), np.float32))
        return rows

    return memoized_on(texture, ("vectors", play == "loop"), make)


@dataclass(frozen=True, eq=False)
class VectorPicture:
    """The vectors of a sheet as a picture.

    Attributes
    ----------
    values : float32 array (h, w, 2)
        ``½ + v / (2 scale)``, each frame's in its own cell; ½ between the cells.
    scale : float
        The largest share of a cell that anything moves by.
    """

    values: Floats
    scale: float


def vectors_key(play: Play) -> tuple[object, ...]:
    """Name under which a texture's vector picture is kept."""
    return "vector_picture", play == "loop"


def vector_picture(texture: Texture, play: Play) -> VectorPicture:
    """The motion vectors of a sheet, laid where its frames lie; raises MivexError where it has none."""
    cells = texture.traits.cells
    if len(cells) < 2:
        raise MivexError("Motion vectors lie between frames, and this picture is no sheet.")

    def make() -> VectorPicture:
        rows = vectors_of(texture, play)
        # A little is kept, so that a sheet in which nothing moves has a scale too.
        scale = max(1e-3, *(float(np.abs(v).max()) for v in rows))
        out: Floats = np.full((texture.height, texture.width, 2), 0.5, np.float32)
        for cell, v in zip(cells, rows, strict=True):
            left, top, right, low = cell_texels(cell, texture.width, texture.height)
            out[top:low, left:right] = 0.5 + v / np.float32(2 * scale)
        return VectorPicture(np.clip(out, 0, 1), scale)

    return memoized_on(texture, vectors_key(play), make)


@dataclass(frozen=True)
class Halving:
    """How far half as many frames are from the true run: of 255, over what is seen, in the mean of those left out.

    Attributes
    ----------
    stepped, faded, moved : float
        Each frame held twice as long; faded to the next; moved along vectors and faded.
    """

    stepped: float
    faded: float
    moved: float


def _over_grey(frame: Floats) -> Floats:
    a = frame[..., 3:]
    return np.asarray(frame[..., :3] * a + GREY * (1 - a), np.float32)


def halving(texture: Texture, play: Play, stop: Callable[[], bool] = lambda: False) -> Halving | None:
    """Leave out every second frame and make it up from those beside it; None where there are fewer than five."""
    frames = frame_values(texture.values, texture.traits.cells)
    if len(frames) < 5 or len({f.shape for f in frames}) > 1:
        return None

    def make() -> Halving:
        rows: list[tuple[float, float, float]] = []
        last = len(frames) if play == "loop" and len(frames) % 2 == 0 else len(frames) - 1
        for k in range(1, last, 2):
            if stop():
                raise Stopped
            a, true, b = frames[k - 1], frames[k], frames[(k + 1) % len(frames)]
            seen = np.maximum(np.maximum(a[..., 3], b[..., 3]), true[..., 3]) > SEEN
            if not seen.any():
                continue
            v = between(a, b)
            made = (a, moved(a, b, np.zeros_like(v), 0.5, data=texture.data), moved(a, b, v, 0.5, data=texture.data))
            off = [float(np.abs(_over_grey(m) - _over_grey(true))[seen].mean()) * 255 for m in made]
            rows.append((off[0], off[1], off[2]))
        mean = np.array(rows).mean(axis=0) if rows else np.zeros(3)
        return Halving(*(float(v) for v in mean))

    return memoized_on(texture, ("halving", play), make)


def every_second(values: Floats, cells: Sequence[tuple[float, float, float, float]]) -> list[Floats]:
    """The frames of a sheet with an even number, in their order."""
    return frame_values(values, tuple(cells))[::2]


BETWEEN = 4
"""Pictures from one frame to the next in a preview."""


def preview(texture: Texture, play: Play, side: int, stop: Callable[[], bool] = lambda: False) -> list[list[Floats]]:
    """For every frame the pictures between it and the next, at most ``side`` texels long: straight RGBA as stored."""

    def small(frame: Floats) -> Floats:
        k = side / max(frame.shape[:2])
        if k >= 1:
            return frame
        size = max(1, round(frame.shape[1] * k)), max(1, round(frame.shape[0] * k))
        light = cv2.resize(_light(frame, data=texture.data), size, interpolation=cv2.INTER_AREA)
        rgb = np.divide(light[..., :3], light[..., 3:], out=np.zeros_like(light[..., :3]), where=light[..., 3:] > 1e-6)
        stored = rgb if texture.data else to_display(np.ascontiguousarray(rgb))
        return np.dstack([stored, light[..., 3]]).astype(np.float32)

    def make() -> list[list[Floats]]:
        frames = [small(f) for f in frame_values(texture.values, texture.traits.cells)]
        rows: list[list[Floats]] = []
        for k, n in enumerate(_next(len(frames), play)):
            if stop():
                raise Stopped
            a, b = frames[k], frames[n]
            if k == n or a.shape != b.shape:
                rows.append([])
                continue
            v = between(a, b)
            rows.append([moved(a, b, v, s / BETWEEN, data=texture.data) for s in range(1, BETWEEN)])
        return rows

    return memoized_on(texture, preview_key(play), make)


def preview_key(play: Play) -> tuple[str, bool]:
    """Under which the pictures between frames are kept with their texture."""
    return "between_frames", play == "loop"

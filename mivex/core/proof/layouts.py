"""Ways to judge a texture at one glance: mip levels, far sizes, all backdrops, repetition, border, magnification.

Each function takes ``(texture, view, width, height, before)`` and returns
display codes; `labels` says what is written over them.
"""

from collections.abc import Callable
from dataclasses import replace
from functools import cache

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.kept import memoized_on
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.picture.texture import Texture
from mivex.core.pixels.mips import MipChain
from mivex.core.pixels.sampling import sample
from mivex.core.prepare.combine import fitted
from mivex.core.project.in_view import TexturePiece
from mivex.core.proof.flat import SURROUND, FlatView, full_size, level_boxes, paint

cv2 = Lazy("cv2")

Codes = NDArray[np.uint8]
DIFFERENCE_GAIN = 4
"""Differences are drawn so many times brighter."""
BORDER_DEPTH = 8
"""Texels of the border that the border view enlarges."""
MAGNIFICATIONS = (1, 4, 16)
_GAP, _LABEL = 10, 18
_MARK = (224, 168, 78)


def _blank(width: int, height: int) -> Codes:
    return np.full((height, width, 3), SURROUND, np.uint8)


def levels(texture: Texture, view: FlatView, width: int, height: int, before: Texture | None = None) -> Codes:
    """Every mip level, all drawn at the same size."""
    out = _blank(width, height)
    w, h = full_size(texture)
    for level, (x, y, box, _) in enumerate(level_boxes(texture.mips.levels, width, height, w / h)):
        paint(out, texture, view, level, x, y, box / w)
    return out


def truth(texture: Texture) -> Texture:
    """The texture with the mip chain that premultiplied filtering gives, as straight colour; made once."""

    def make() -> Texture:
        chain = texture.true_mips
        texels = chain.texels.copy()
        if not texture.premultiplied:
            a = texels[:, 3:]
            plain = texture.mips.texels[:, :3]
            np.divide(texels[:, :3], a, out=texels[:, :3], where=a > 0)
            texels[:, :3] = np.where(a > 0, texels[:, :3], plain)
        made = replace(texture)
        made.__dict__["mips"] = MipChain(texels, chain.offsets, chain.widths, chain.heights)
        return made

    return memoized_on(texture, "truth", make)


def far_count(texture: Texture) -> int:
    """How many coarser levels are worth enlarging: those of at least 4 texels a side."""
    m = texture.mips
    return max(1, sum(min(int(m.widths[i]), int(m.heights[i])) >= 4 for i in range(1, m.levels)))


def far_boxes(texture: Texture, width: int, height: int) -> tuple[list[tuple[int, int, int]], int, int, list[int], int]:
    """Layout of the far sizes.

    Returns
    -------
    spots : list of (level, x, y)
        Levels at their true size, as hardware filters them; the truth stands ``below`` lower.
    below : int
    side : int
        Of the enlarged boxes.
    columns : list of int
        Their x.
    top : int
        y of their first row.
    """
    m = texture.mips
    band = max(12, height // 6)
    spots, x = [], _GAP
    for level in range(m.levels):
        w, h = int(m.widths[level]), int(m.heights[level])
        if h > band or w > width // 2 or x + w + _GAP > width:
            continue
        spots.append((level, x, _GAP + (band - h) // 2))
        x += w + _GAP
    spots = [(level, at + (width - x) // 2, y) for level, at, y in spots]
    count = far_count(texture)
    top = 2 * band + 2 * _GAP + _LABEL
    per_row = (height - top - 3 * (_GAP + _LABEL)) // 3
    side = max(8, min((width - _GAP * (count + 1)) // count, per_row))
    first = (width - count * (side + _GAP) + _GAP) // 2
    columns = [first + i * (side + _GAP) for i in range(count)]
    return spots, band, side, columns, top


def far(texture: Texture, view: FlatView, width: int, height: int, before: Texture | None = None) -> Codes:
    """Far sizes: mip levels at their true size in a row; enlarged as filtered, as they should be, and the difference."""
    out = _blank(width, height)
    spots, below, side, columns, top = far_boxes(texture, width, height)
    w, h = full_size(texture)
    right = truth(texture)
    for level, x, y in spots:
        zoom = int(texture.mips.widths[level]) / w
        paint(out, texture, view, level, x, y, zoom)
        paint(out, right, view, level, x, y + below, zoom)
    zoom = side / max(w, h)
    step = side + _GAP + _LABEL
    rows = [out, _blank(width, height), _blank(width, height)]
    for i, x in enumerate(columns):
        level = min(i + 1, texture.mips.levels - 1)
        for picture, kind in ((rows[1], texture), (rows[2], right)):
            paint(picture, kind, view, level, x, top, zoom)
    high = round(h * zoom)
    straight, true = rows[1][top : top + high], rows[2][top : top + high]
    seen = np.abs(straight.astype(np.int16) - true) * DIFFERENCE_GAIN
    inside = np.zeros(width, bool)
    for x in columns:
        inside[x : x + round(w * zoom)] = True
    gap = np.where(inside[None, :, None], np.clip(seen, 0, 255), SURROUND).astype(np.uint8)
    for i, part in enumerate((straight, true, gap)):
        y = top + i * step
        rows_left = max(0, min(high, height - y))
        out[y : y + rows_left] = part[:rows_left]
    return out


@cache
def scene_crops(side: int = 256) -> tuple[Floats, Floats]:
    """A bright and a dark piece of the stage, linear (side, side, 3)."""
    from mivex.core.project.document import Document
    from mivex.core.scene.draw_calls import render
    from mivex.core.stage.camera import Camera, View

    views = (
        Camera(name="bright", target=(3.4, 3.9, -5.4), yaw=3, pitch=-3, distance=2.0, fov=50),
        Camera(name="dark", target=(-4.6, 1.4, -3.6), yaw=62, pitch=2, distance=2.4, fov=50),
    )
    bright, dark = (np.ascontiguousarray(render(Document(), {}, View(c, side, side)).colour[..., :3]) for c in views)
    return bright, dark


BACKDROP_ORDER = (
    ("black", "Black"),
    ("grey", "Mid grey"),
    ("white", "White"),
    ("checker", "Checker"),
    ("bright", "Bright wall"),
    ("dark", "Dark wall"),
)


def _grid(count: int, width: int, height: int, aspect: float) -> list[tuple[int, int, int, int]]:
    return level_boxes(count, width, height, aspect)


def backdrops(texture: Texture, view: FlatView, width: int, height: int, before: Texture | None = None) -> Codes:
    """The result over every backdrop at once, two of them pieces of the stage."""
    out = _blank(width, height)
    w, h = full_size(texture)
    bright, dark = scene_crops()
    for (key, _), (x, y, box, high) in zip(BACKDROP_ORDER, _grid(6, width, height, w / h), strict=True):
        part = out[y : y + high, x : x + box]
        if not part.size:
            continue
        scene = {"bright": bright, "dark": dark}.get(key)
        flat = replace(view, show="over", backdrop="black" if scene is not None else key)  # type: ignore[arg-type]
        if scene is not None:
            fitted_scene = np.ascontiguousarray(
                cv2.resize(scene, (max(2, part.shape[1]), max(2, part.shape[0])), interpolation=cv2.INTER_AREA)
            )
            paint(part, texture, flat, 0, 0, 0, box / w, 0, fitted_scene)
        else:
            paint(part, texture, flat, 0, 0, 0, box / w)
    return out


def tiles(texture: Texture, view: FlatView, width: int, height: int, before: Texture | None = None) -> Codes:
    """The texture repeated three by three."""
    out = _blank(width, height)
    w, h = full_size(texture)
    zoom = min((width - 2 * _GAP) / (3 * w), (height - 2 * _GAP) / (3 * h))
    x0, y0 = (width - 3 * w * zoom) / 2, (height - 3 * h * zoom) / 2
    for row in range(3):
        for column in range(3):
            # Whole pixels, so that no gap of the drawing's own looks like a seam.
            x, y = round(x0 + column * w * zoom), round(y0 + row * h * zoom)
            x2, y2 = round(x0 + (column + 1) * w * zoom), round(y0 + (row + 1) * h * zoom)
            part = out[max(0, y) : max(0, y2), max(0, x) : max(0, x2)]
            if part.size:
                paint(part, texture, view, 0, 0, 0, max(part.shape[1] / w, part.shape[0] / h))
    return out


def border_frame(texture: Texture, width: int, height: int) -> tuple[int, int, int, int, int]:
    """Layout of the border view: x, y, width and height of the picture, and thickness of the strips."""
    w, h = full_size(texture)
    thick = max(16, min(width, height) // 8)
    zoom = min((width - 2 * (thick + 2 * _GAP)) / w, (height - 2 * (thick + 2 * _GAP)) / h)
    pw, ph = max(1, round(w * zoom)), max(1, round(h * zoom))
    return (width - pw) // 2, (height - ph) // 2, pw, ph, thick


def exaggerated(alpha: Floats) -> Codes:
    """Alpha as codes in which the faintest trace is plainly seen: 0 black, all above 0 from a third of white on."""
    v = np.where(alpha > 0, 0.33 + 0.67 * np.cbrt(np.clip(alpha, 0, 1)), 0)
    return (v * 255 + 0.5).astype(np.uint8)


def border(texture: Texture, view: FlatView, width: int, height: int, before: Texture | None = None) -> Codes:
    """Alpha along the four borders, exaggerated; strips enlarge the outermost texels, the very last one in colour."""
    out = _blank(width, height)
    x, y, w, h, thick = border_frame(texture, width, height)
    a = texture.alpha
    picture = cv2.resize(exaggerated(a), (w, h), interpolation=cv2.INTER_AREA if a.shape[0] > h else cv2.INTER_NEAREST)
    out[y : y + h, x : x + w] = picture[..., None][: height - y, : width - x]
    d = min(BORDER_DEPTH, *a.shape)

    def strip(part: Floats, outer: int, axis: int) -> Codes:
        codes = np.repeat(exaggerated(part)[..., None], 3, axis=2)
        edge = np.take(part, outer, axis) > 0
        marked = np.array(_MARK, np.uint8)
        if axis == 0:
            codes[outer][edge] = marked
        else:
            codes[:, outer][edge] = marked
        return codes

    def put(codes: Codes, left: int, top: int, wide: int, high: int) -> None:
        # A single texel of the border must not be averaged away.
        big = cv2.resize(codes, (wide, high), interpolation=cv2.INTER_NEAREST)
        if wide < codes.shape[1] or high < codes.shape[0]:
            hit = (codes == np.array(_MARK, np.uint8)).all(axis=2).astype(np.float32)
            seen = cv2.resize(hit, (wide, high), interpolation=cv2.INTER_AREA) > 0
            big[seen] = _MARK
        # In a frame too small for it, what sticks out is left out.
        y0, x0 = max(0, -top), max(0, -left)
        part = out[max(0, top) : max(0, top + high), max(0, left) : max(0, left + wide)]
        part[...] = big[y0 : y0 + part.shape[0], x0 : x0 + part.shape[1]]

    put(strip(a[:d], 0, 0), x, y - _GAP - thick, w, thick)
    put(strip(a[-d:], d - 1, 0), x, y + h + _GAP, w, thick)
    put(strip(a[:, :d], 0, 1), x - _GAP - thick, y, thick, h)
    put(strip(a[:, -d:], d - 1, 1), x + w + _GAP, y, thick, h)
    return out


def _window(texture: Texture, magnification: float, width: int, height: int) -> tuple[Floats, Floats]:
    """Texture coordinates of a piece of screen at a magnification, placed on the outline's busiest spot."""
    a = texture.alpha
    if magnification * max(texture.width, texture.height) <= max(width, height):
        cx, cy = 0.5, 0.5
    else:
        edge = cv2.GaussianBlur((np.abs(a - 0.5) < 0.3).astype(np.float32), (0, 0), max(2.0, width / magnification / 4))
        py, px = np.unravel_index(int(edge.argmax()), edge.shape)
        cy, cx = (py + 0.5) / a.shape[0], (px + 0.5) / a.shape[1]
    u = cx + (np.arange(width) + 0.5 - width / 2) / (magnification * texture.width)
    v = cy + (np.arange(height) + 0.5 - height / 2) / (magnification * texture.height)
    return np.broadcast_to(u, (height, width)), np.broadcast_to(v[:, None], (height, width))


def magnify_boxes(width: int, height: int) -> list[tuple[int, int, int, int]]:
    """x, y, width, height: two columns (as stored, plain alpha), one row for each magnification."""
    w = (width - 3 * _GAP) // 2
    h = (height - (_GAP + _LABEL) * 3 - _GAP) // 3
    return [
        (_GAP + c * (w + _GAP), _GAP + r * (h + _GAP + _LABEL), max(8, w), max(8, h)) for r in range(3) for c in range(2)
    ]


def magnify(texture: Texture, view: FlatView, width: int, height: int, before: Texture | None = None) -> Codes:
    """The alpha magnified 1, 4 and 16 times: cut at one half on the left, plain alpha of the same size on the right."""
    out = _blank(width, height)
    plain = plain_chain(texture, before)
    for i, (x, y, w, h) in enumerate(magnify_boxes(width, height)):
        m = MAGNIFICATIONS[i // 2]
        u, v = _window(texture, m, w, h)
        outside = (u < 0) | (u >= 1) | (v < 0) | (v >= 1)
        zero = np.zeros((h, w), np.float32)
        if i % 2 == 0:
            a = sample(texture.mips, u, v, zero, wrap=view.wrap)[..., 3]
            gy, gx = np.gradient(a)
            slope = np.maximum(np.hypot(gx, gy), 1e-4)
            seen = np.clip((a - 0.5) / slope + 0.5, 0, 1)
        else:
            seen = sample(plain, u, v, zero, wrap=view.wrap)[..., 3]
        code = np.where(outside, SURROUND, 30 + seen * 210).astype(np.uint8)
        out[y : y + h, x : x + w] = code[..., None][: max(0, height - y), : max(0, width - x)]
    return out


def plain_alpha(texture: Texture, before: Texture | None) -> Floats:
    """The alpha before it became distance, at the texture's own size."""
    return fitted((before or texture).alpha, texture.height, texture.width)


def plain_chain(texture: Texture, before: Texture | None) -> MipChain:
    """A single level of plain alpha, for sampling."""
    a = plain_alpha(texture, before)
    texels = np.zeros((a.size, 4), np.float32)
    texels[:, 3] = a.reshape(-1)
    return MipChain(texels, np.array([0]), np.array([a.shape[1]]), np.array([a.shape[0]]))


DRAW: dict[str, Callable[[Texture, FlatView, int, int, Texture | None], Codes]] = {
    "levels": levels,
    "far": far,
    "backdrops": backdrops,
    "tiles": tiles,
    "border": border,
    "magnify": magnify,
}


def draw_flat(
    texture: Texture,
    view: FlatView,
    width: int,
    height: int,
    before: Texture | None = None,
    divider: float = 0.5,
    beside: bool = False,
    piece: TexturePiece | None = None,
) -> NDArray[np.uint8]:
    """Draw the flat proof for a piece of screen.

    Parameters
    ----------
    texture : Texture
    view : FlatView
    width, height : int
        Pixels of the piece of screen.
    before : Texture, optional
        Shown left of the divider; in layout ``magnify``, the plain alpha to compare with.
    divider : float
        Place of the divider, 0 (left) to 1.
    beside : bool
        Both whole, side by side, instead of one picture cut by the divider.
    piece : TexturePiece, optional
        A finer part of the texture, which lies over it where level 0 is shown alone.

    Returns
    -------
    uint8 array (height, width, 3), display codes; outside the picture the surround's grey.
    """
    if view.layout != "single":
        return DRAW[view.layout](texture, view, width, height, before)
    out = np.full((height, width, 3), SURROUND, np.uint8)
    if before is None:
        paint(out, texture, view, view.level, view.left, view.top, view.zoom)
        _paint_piece(out, texture, piece, view)
        return out
    edge = round(width * (0.5 if beside else divider))
    left = out[:, :edge].copy()
    # Before and after may differ in size: both are brought to the size of the one after.
    scale = full_size(texture)[0] / full_size(before)[0]
    shift = width / 4 if beside else 0
    paint(left, before, view, view.level, view.left - shift, view.top, view.zoom * scale)
    paint(out, texture, view, view.level, view.left + shift, view.top, view.zoom, edge)
    if not beside:
        _paint_piece(out, texture, piece, view)
    out[:, :edge] = left
    return out


def _paint_piece(out: NDArray[np.uint8], texture: Texture, piece: TexturePiece | None, view: FlatView) -> None:
    """A part of a texture, finer, over what is drawn; light and fringe are shown of whole pictures only."""
    if piece is None or view.level > 0 or view.show in ("lit", "fringe"):
        return
    zoom = view.zoom * full_size(texture)[0] / piece.size[0]
    paint(out, piece.texture, view, 0, view.left + piece.box[2] * zoom, view.top + piece.box[0] * zoom, zoom)

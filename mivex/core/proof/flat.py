"""The flat proof: a texture on its own, drawn for a piece of the screen.

Only the visible part is drawn, at the screen's own resolution: enlarged texels
are hard-edged squares with the stored values; reduced ones come through the
mip chain, as hardware would filter them.
"""

from dataclasses import dataclass
from typing import Any, Literal

import numba as nb
import numpy as np
from numpy.typing import NDArray

from mivex.core.bands import run_bands
from mivex.core.image.colour import SCREEN, to_linear
from mivex.core.image.fringes import fringe_map
from mivex.core.image.texture import Texture
from mivex.core.material.blends import BAYER, BLENDS
from mivex.core.types import Floats

Show = Literal["over", "colour", "alpha", "red", "green", "blue", "fringe", "lit"]
Layout = Literal["single", "levels", "far", "backdrops", "tiles", "border", "magnify"]
Backdrop = Literal["black", "grey", "white", "checker", "own"]

SHOWS: dict[str, str] = {"over": "Result", "colour": "Colour alone", "alpha": "Alpha", "red": "Red",
                         "green": "Green", "blue": "Blue", "fringe": "Fringe", "lit": "Lit as normals"}
LAYOUTS: dict[str, str] = {"single": "The picture", "levels": "Every mip level", "far": "Far sizes",
                           "backdrops": "All backdrops", "tiles": "Repeated 3 × 3", "border": "Its border",
                           "magnify": "Magnified"}
BACKDROPS: dict[str, str] = {"black": "Black", "grey": "Mid grey", "white": "White", "checker": "Checker",
                             "own": "A colour"}
SURROUND = 119
"""Display code of the grey round the picture, near L* 50."""
FRINGE_GAIN = 4.0
"""A fringe of 255 / FRINGE_GAIN is drawn full white."""


@dataclass(frozen=True)
class FlatView:
    """What part of a texture is shown, and how.

    Attributes
    ----------
    show : str
        One of `SHOWS`.
    backdrop : str
        One of `BACKDROPS`, for ``over``.
    own : (r, g, b)
        The colour of backdrop ``own``, display values.
    level : int
        Mip level, drawn at the size of level 0; in other layouts than ``single`` ignored.
    layout : str
        One of `LAYOUTS`.
    light : (x, y)
        Where the light stands for ``lit``, as a share of the picture.
    zoom : float
        Screen pixels per texel of level 0.
    left, top : float
        Place of the texture's top left corner on the screen, pixels.
    blend, opacity, cutoff, tint :
        The material, for ``over``: the result is what this blend gives over the backdrop.
    wrap : bool
        The texture repeats: what is filtered at its border mixes with the other side.
    """

    show: Show = "over"
    backdrop: Backdrop = "checker"
    own: tuple[float, float, float] = (0.2, 0.45, 0.4)
    level: int = 0
    layout: Layout = "single"
    light: tuple[float, float] = (0.3, 0.25)
    zoom: float = 1.0
    left: float = 0.0
    top: float = 0.0
    blend: str = "Translucent"
    opacity: float = 1.0
    cutoff: float = 0.5
    tint: tuple[float, float, float] = (1.0, 1.0, 1.0)
    wrap: bool = False


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _code(v, table):  # type: ignore[no-untyped-def]
    v = min(max(v, np.float32(0)), np.float32(1))
    return table[int(v * np.float32(65535) + np.float32(0.5))]


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _draw_rows(first, last, out, x_off, y_off, texels, offsets, widths, heights, w, h, level, left, top, zoom,  # type: ignore[no-untyped-def]
               show, back, scene, dark, bright, checker, encode, code, opacity, cutoff, tint, bayer, table, edge):
    """Rows ``first`` to ``last`` of ``out``; ``edge`` = x beyond which this texture is drawn."""
    one = np.float32(1)
    lw, lh = widths[level], heights[level]
    # Reduced pictures average a box of texels of the finest level that is fine enough.
    step = 1.0 / zoom
    use, uw, uh = level, lw, lh
    while use + 1 < len(offsets) and w / uw < step * 0.75:
        use += 1
        uw, uh = widths[use], heights[use]
    start = offsets[use]
    for y in range(first, last):
        ty = (y + y_off + 0.5 - top) / zoom
        if not 0 <= ty < h:
            continue
        iy = min(int(ty * uh / h), uh - 1)
        for x in range(max(0, edge), out.shape[1]):
            tx = (x + x_off + 0.5 - left) / zoom
            if not 0 <= tx < w:
                continue
            i = np.uint64(start + iy * uw + min(int(tx * uw / w), uw - 1))
            r, g, b, a = texels[i, 0], texels[i, 1], texels[i, 2], texels[i, 3]
            if show == 0:
                r0, g0, b0 = back[0], back[1], back[2]
                if checker:
                    odd = ((x + x_off) >> 3) + ((y + y_off) >> 3)
                    r0 = bright if odd & 1 else dark
                    g0, b0 = r0, r0
                elif scene.shape[0] > 1:
                    j, i2 = (y + y_off) % scene.shape[0], (x + x_off) % scene.shape[1]
                    r0, g0, b0 = scene[j, i2, 0], scene[j, i2, 1], scene[j, i2, 2]
                a *= opacity
                r, g, b = r * tint[0], g * tint[1], b * tint[2]
                # As in the raster kernel: (source, below) weights; Multiply weighs below by colour.
                hit = not ((code == 1 and a < cutoff) or (code == 2 and a <= bayer[(y + y_off) & 7, (x + x_off) & 7]))
                if code <= 2:
                    own, below = (one, np.float32(0)) if hit else (np.float32(0), one)
                elif code == 6:
                    own, below = np.float32(0), one - a
                    r0, g0, b0 = r0 * (below + r * a), g0 * (below + g * a), b0 * (below + b * a)
                    below = one
                else:
                    own = opacity if code == 4 else a
                    below = one if code == 5 else one - a
                r, g, b = r * own + r0 * below, g * own + g0 * below, b * own + b0 * below
            elif show == 2:
                r, g, b = a, a, a
            elif show == 3:
                g, b = r, r
            elif show == 4:
                r, b = g, g
            elif show == 5:
                r, g = b, b
            if encode and show != 2:
                out[y, x, 0], out[y, x, 1], out[y, x, 2] = _code(r, table), _code(g, table), _code(b, table)
            else:
                top255, half = np.float32(255), np.float32(0.5)
                out[y, x, 0] = int(min(max(r, np.float32(0)), one) * top255 + half)
                out[y, x, 1] = int(min(max(g, np.float32(0)), one) * top255 + half)
                out[y, x, 2] = int(min(max(b, np.float32(0)), one) * top255 + half)


_SHOW_CODE = {"over": 0, "colour": 1, "alpha": 2, "red": 3, "green": 4, "blue": 5, "fringe": 6}


def _backdrop(view: FlatView, encode: bool) -> tuple[Floats, bool, Any, Any]:
    codes = {"black": (0.0,) * 3, "grey": (0.5,) * 3, "white": (1.0,) * 3, "own": view.own, "checker": (0.5,) * 3}
    flat = np.array(codes[view.backdrop], np.float32)
    tiles = np.array([0.42, 0.58], np.float32)
    if encode:
        flat, tiles = to_linear(flat), to_linear(tiles)
    return flat, view.backdrop == "checker", tiles[0], tiles[1]


_NO_SCENE = np.zeros((1, 1, 3), np.float32)


def full_size(texture: Texture) -> tuple[int, int]:
    """Width and height at full size, also of a proxy."""
    return texture.full_size if texture.scale < 1 else (texture.width, texture.height)


def paint(out: NDArray[np.uint8], texture: Texture, view: FlatView, level: int, left: float, top: float,
          zoom: float, edge: int = 0, scene: Floats = _NO_SCENE) -> None:
    """Draw one level of a texture into ``out`` at a place and zoom, from column ``edge`` on.

    ``scene``, linear (h, w, 3), is the backdrop where it is larger than one texel; it repeats.
    """
    w, h = full_size(texture)
    if view.show == "lit":
        from mivex.core.proof.lit import paint_lit
        paint_lit(out, texture, view.light, left, top, zoom, edge)
        return
    if view.show == "fringe":
        _paint_fringe(out, texture, level, left, top, zoom, edge, (w, h), view.wrap)
        return
    m = texture.mips
    level = min(level, m.levels - 1)
    encode = texture.meaning == "colour"
    back, checker, dark, bright = _backdrop(view, encode)
    checker = checker and scene.shape[0] == 1
    # Only rows and columns that the picture covers are visited.
    y0, y1 = max(0, int(top)), min(out.shape[0], int(top + h * zoom) + 1)
    x0, x1 = max(0, int(left)), min(out.shape[1], int(left + w * zoom) + 1)
    if y1 <= y0 or x1 <= x0:
        return
    part = out[y0:y1, x0:x1]
    tint = np.array(view.tint, np.float32)
    tint = to_linear(tint) if encode else tint
    run_bands(y1 - y0, lambda a, b: _draw_rows(  # type: ignore[call-arg]
        a, b, part, x0, y0, m.texels, m.offsets, m.widths, m.heights, w, h, level, left, top, zoom,
        _SHOW_CODE[view.show], back, scene, dark, bright, checker, encode, BLENDS[view.blend].code,
        np.float32(view.opacity), np.float32(view.cutoff), tint, BAYER, SCREEN, edge - x0))


def _paint_fringe(out: NDArray[np.uint8], texture: Texture, level: int, left: float, top: float, zoom: float,
                  edge: int, full: tuple[int, int], wrap: bool) -> None:
    level = min(level, texture.mips.levels - 1)
    seen = kept_fringe(texture, level, wrap)
    codes = np.where(seen < 0, 24, np.clip(seen * FRINGE_GAIN, 0, 255) * 0.85 + 38).astype(np.uint8)
    lh, lw = codes.shape
    # Level 0 was measured at the corners between texels: half a texel right and down.
    shift = 0.5 if level == 0 else 0.0
    ty = ((np.arange(out.shape[0]) + 0.5 - top) / zoom) * lh / full[1] - shift
    tx = ((np.arange(out.shape[1]) + 0.5 - left) / zoom) * lw / full[0] - shift
    rows = np.flatnonzero((ty >= -shift) & (ty < lh - shift))
    cols = np.flatnonzero((tx >= -shift) & (tx < lw - shift) & (np.arange(out.shape[1]) >= edge))
    if rows.size and cols.size:
        iy, ix = np.clip(ty[rows], 0, lh - 1).astype(int), np.clip(tx[cols], 0, lw - 1).astype(int)
        out[rows[0]:rows[-1] + 1, cols[0]:cols[-1] + 1] = codes[iy[:, None], ix[None, :], None]


def kept_fringe(texture: Texture, level: int, wrap: bool) -> Floats:
    """`fringe_map`, kept with the texture."""
    maps = texture.__dict__.setdefault("_fringe", {})
    if (level, wrap) not in maps:
        maps[level, wrap] = fringe_map(texture, level, wrap=wrap)
    return maps[level, wrap]  # type: ignore[no-any-return]


def level_boxes(levels: int, width: int, height: int, aspect: float) -> list[tuple[int, int, int, int]]:
    """Where each level is drawn when all are shown: x, y, width, height of equal boxes in a grid."""
    best: tuple[float, int] = (0.0, 1)
    gap, label = 10, 18
    for columns in range(1, levels + 1):
        rows = -(-levels // columns)
        w = (width - gap * (columns + 1)) / columns
        h = (height - (gap + label) * rows - gap) / rows
        best = max(best, (min(w, h * aspect), columns))
    w, columns = max(best[0], 8), best[1]
    h = w / aspect
    rows = -(-levels // columns)
    x0 = (width - columns * (w + gap) + gap) / 2
    y0 = max(gap, (height - rows * (h + gap + label) + gap) / 2)
    return [(round(x0 + (i % columns) * (w + gap)), round(y0 + (i // columns) * (h + gap + label)),
             max(1, round(w)), max(1, round(h))) for i in range(levels)]


def draw_flat(texture: Texture, view: FlatView, width: int, height: int, before: Texture | None = None,
              divider: float = 0.5, beside: bool = False) -> NDArray[np.uint8]:
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

    Returns
    -------
    uint8 array (height, width, 3), display codes; outside the picture the surround's grey.
    """
    if view.layout != "single":
        from mivex.core.proof.layouts import DRAW
        return DRAW[view.layout](texture, view, width, height, before)
    out = np.full((height, width, 3), SURROUND, np.uint8)
    if before is None:
        paint(out, texture, view, view.level, view.left, view.top, view.zoom)
        return out
    edge = round(width * (0.5 if beside else divider))
    left = out[:, :edge].copy()
    # Before and after may differ in size: both are brought to the size of the one after.
    scale = full_size(texture)[0] / full_size(before)[0]
    shift = width / 4 if beside else 0
    paint(left, before, view, view.level, view.left - shift, view.top, view.zoom * scale)
    paint(out, texture, view, view.level, view.left + shift, view.top, view.zoom, edge)
    out[:, :edge] = left
    return out

"""The flat proof: a texture on its own, drawn for a piece of the screen.

Only the visible part is drawn, at the screen's own resolution: enlarged texels
are hard-edged squares with the stored values; reduced ones come through the
mip chain, as hardware would filter them.
"""

from dataclasses import dataclass
from typing import Any, Literal

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import run_bands
from mivex.core.base.kept import memoized_on
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.picture.fringes import fringe_map
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import BAYER, BLENDS
from mivex.core.pixels.colour import SCREEN, to_linear

_kernels = Lazy("mivex.core.proof.kernels.flat")

Show = Literal["over", "colour", "alpha", "red", "green", "blue", "fringe", "lit"]
Layout = Literal["single", "levels", "far", "backdrops", "tiles", "border", "magnify"]
Backdrop = Literal["black", "grey", "white", "checker", "own"]

SHOWS: dict[str, str] = {
    "over": "Result",
    "colour": "Colour alone",
    "alpha": "Alpha",
    "red": "Red",
    "green": "Green",
    "blue": "Blue",
    "fringe": "Fringe",
    "lit": "Lit as normals",
}
LAYOUTS: dict[str, str] = {
    "single": "The picture",
    "levels": "Every mip level",
    "far": "Far sizes",
    "backdrops": "All backdrops",
    "tiles": "Repeated 3 × 3",
    "border": "Its border",
    "magnify": "Magnified",
}
BACKDROPS: dict[str, str] = {
    "black": "Black",
    "grey": "Mid grey",
    "white": "White",
    "checker": "Checker",
    "own": "A colour",
}
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
    display : bool
        Colour is blended in display values, as the project's receiver does, instead of in linear light.
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
    display: bool = False


_SHOW_CODE = {"over": 0, "colour": 1, "alpha": 2, "red": 3, "green": 4, "blue": 5, "fringe": 6}


def _backdrop(view: FlatView, encode: bool) -> tuple[Floats, bool, Any, Any]:
    codes = {"black": (0.0,) * 3, "grey": (0.5,) * 3, "white": (1.0,) * 3, "own": view.own, "checker": (0.5,) * 3}
    flat = np.array(codes[view.backdrop], np.float32)
    tiles = np.array([0.42, 0.58], np.float32)
    if encode:
        flat, tiles = to_linear(flat), to_linear(tiles)
    return flat, view.backdrop == "checker", tiles[0], tiles[1]


_VIEW = np.dtype(
    [
        ("x", np.int64),
        ("y", np.int64),
        ("width", np.int64),
        ("height", np.int64),
        ("level", np.int64),
        ("left", np.float64),
        ("top", np.float64),
        ("zoom", np.float64),
        ("edge", np.int64),
        ("show", np.int64),
        ("blend", np.int64),
        ("encode", np.int64),
        ("checker", np.int64),
        ("display", np.int64),
        ("opacity", np.float32),
        ("cutoff", np.float32),
        ("dark", np.float32),
        ("bright", np.float32),
        ("back", np.float32, 3),
        ("tint", np.float32, 3),
    ]
)
"""What travels to the kernel: where the drawn piece and the picture lie, what is shown, over what, blended how.

``edge``: the column from which on this texture is drawn.
"""

_NO_SCENE = np.zeros((1, 1, 3), np.float32)


def full_size(texture: Texture) -> tuple[int, int]:
    """Width and height at full size, also of a proxy."""
    return texture.full_size if texture.scale < 1 else (texture.width, texture.height)


def paint(  # noqa: PLR0913
    out: NDArray[np.uint8],
    texture: Texture,
    view: FlatView,
    level: int,
    left: float,
    top: float,
    zoom: float,
    edge: int = 0,
    scene: Floats = _NO_SCENE,
    origin: tuple[int, int] = (0, 0),
) -> None:
    """Draw one level of a texture into ``out`` at a place and zoom, from column ``edge`` on.

    ``scene``, linear (h, w, 3), is the backdrop where it is larger than one texel; it repeats. ``origin``: x and y of
    ``out`` on the proof, where it is a piece of it; the backdrop lies still then.
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
    # Only rows and columns that the picture covers are visited.
    y0, y1 = max(0, int(top)), min(out.shape[0], int(top + h * zoom) + 1)
    x0, x1 = max(0, int(left)), min(out.shape[1], int(left + w * zoom) + 1)
    if y1 <= y0 or x1 <= x0:
        return
    part = out[y0:y1, x0:x1]
    views = np.zeros(1, _VIEW)
    put = views[0]
    put["x"], put["y"], put["width"], put["height"], put["level"] = x0 + origin[0], y0 + origin[1], w, h, level
    put["left"], put["top"], put["zoom"], put["edge"] = left + origin[0], top + origin[1], zoom, edge - x0
    put["show"], put["blend"], put["encode"] = _SHOW_CODE[view.show], BLENDS[view.blend].code, encode
    put["opacity"], put["cutoff"], put["display"] = view.opacity, view.cutoff, view.display and encode
    put["back"], checker, put["dark"], put["bright"] = _backdrop(view, encode)
    put["checker"] = checker and scene.shape[0] == 1
    tint = np.array(view.tint, np.float32)
    put["tint"] = to_linear(tint) if encode else tint
    run_bands(
        y1 - y0,
        lambda a, b: _kernels.draw_rows(  # type: ignore[call-arg]
            a, b, part, views, m.texels, m.offsets, m.widths, m.heights, scene, BAYER, SCREEN
        ),
    )


def _paint_fringe(
    out: NDArray[np.uint8],
    texture: Texture,
    level: int,
    left: float,
    top: float,
    zoom: float,
    edge: int,
    full: tuple[int, int],
    wrap: bool,
) -> None:
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
        out[rows[0] : rows[-1] + 1, cols[0] : cols[-1] + 1] = codes[iy[:, None], ix[None, :], None]


def kept_fringe(texture: Texture, level: int, wrap: bool) -> Floats:
    """`fringe_map` of a texture, kept with the texture."""
    return memoized_on(texture, ("fringe", level, wrap), lambda: fringe_map(texture, level, wrap=wrap))


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
    return [
        (
            round(x0 + (i % columns) * (w + gap)),
            round(y0 + (i // columns) * (h + gap + label)),
            max(1, round(w)),
            max(1, round(h)),
        )
        for i in range(levels)
    ]

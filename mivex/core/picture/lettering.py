"""Text in a shipped font, as exact coverage. No interface code.

Text is shaped by HarfBuzz and covered exactly: the signed area of every edge in
every texel is summed, with no samples taken.

References
----------
Kallay (1991) and Levien (2016), signed-area accumulation for exact coverage.
"""

import math
from functools import cache
from importlib.resources import files
from typing import Any

import numpy as np

from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats

hb = Lazy("uharfbuzz")

_kernels = Lazy("mivex.core.picture.kernels.lettering")

FONTS = {"regular": "Inter-Regular", "medium": "Inter-Medium", "semibold": "Inter-SemiBold"}
FONT_FOLDER = files("mivex.core") / "assets" / "fonts"
_FLAT = 0.02
"""Curves are cut into straight pieces that stay within so many texels of them."""


def covered(edges: Floats, height: int, width: int) -> Floats:
    """Exact coverage of texels by closed outlines, filled where they wind at all (non-zero).

    Parameters
    ----------
    edges : float64 array (n, 4)
        x0, y0, x1, y1 in texels, outlines closed.
    height, width : int

    Returns
    -------
    float32 array (height, width), 0 to 1. Where outlines of one sense overlap inside a
    single texel their areas add up to at most 1.
    """
    acc = np.zeros((height, width + 2))
    _kernels.accumulate(np.ascontiguousarray(edges, np.float64), acc)
    return np.clip(np.abs(np.cumsum(acc, axis=1)[:, :width]), 0, 1).astype(np.float32)


class _Pen:
    """Collects a glyph's outline as straight edges, in font units."""

    def __init__(self, scale: float) -> None:
        self.edges: list[tuple[float, float, float, float]] = []
        self.scale = scale
        self.at = self.begin = (0.0, 0.0)
        f = hb.DrawFuncs()
        f.set_move_to_func(lambda x, y, c: c.move(x, y))
        f.set_line_to_func(lambda x, y, c: c.line(x, y))
        f.set_quadratic_to_func(lambda a, b, x, y, c: c.quadratic(a, b, x, y))
        f.set_cubic_to_func(lambda a, b, p, q, x, y, c: c.cubic(a, b, p, q, x, y))
        f.set_close_path_func(lambda c: c.line(*c.begin))
        self.funcs = f

    def move(self, x: float, y: float) -> None:
        self.at = self.begin = (x, y)

    def line(self, x: float, y: float) -> None:
        if (x, y) != self.at:
            self.edges.append((*self.at, x, y))
        self.at = (x, y)

    def quadratic(self, a: float, b: float, x: float, y: float) -> None:
        x0, y0 = self.at
        self.cubic(x0 + (a - x0) * 2 / 3, y0 + (b - y0) * 2 / 3, x + (a - x) * 2 / 3, y + (b - y) * 2 / 3, x, y)

    def cubic(self, a: float, b: float, p: float, q: float, x: float, y: float) -> None:
        x0, y0 = self.at
        # Distance of a curve from its chord is at most √3/18 of the second differences (Wang 1984).
        bend = max(math.hypot(x0 - 2 * a + p, y0 - 2 * b + q), math.hypot(a - 2 * p + x, b - 2 * q + y)) * self.scale
        n = max(1, min(64, math.ceil(math.sqrt(bend * 6 / 8 / _FLAT))))
        for k in range(1, n + 1):
            t = k / n
            u = 1 - t
            c0, c1, c2, c3 = u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t
            self.line(c0 * x0 + c1 * a + c2 * p + c3 * x, c0 * y0 + c1 * b + c2 * q + c3 * y)


@cache
def _font(name: str) -> tuple[Any, Any]:
    face = hb.Face(hb.Blob((FONT_FOLDER / f"{FONTS[name]}.otf").read_bytes()))
    return face, hb.Font(face)


def text_edges(text: str, font: str, size: float, spacing: float = 0.0, leading: float = 1.2) -> Floats:
    """Outline of a text, its middle at 0, 0; float64 (n, 4) as x0, y0, x1, y1, y down.

    Parameters
    ----------
    text : str
        May have several lines; each is centred.
    font : str
        One of `FONTS`.
    size : float
        Height of the font's em, texels.
    spacing : float
        Added between letters, in em.
    leading : float
        Distance of lines, in em.
    """
    face, shaper = _font(font)
    scale = size / face.upem
    rows = []
    lines = text.split("\n")
    caps = face.upem * 0.727  # height of Inter's capitals
    for number, line in enumerate(lines):
        if not line:
            continue
        buffer = hb.Buffer()
        buffer.add_str(line)
        buffer.guess_segment_properties()
        hb.shape(shaper, buffer, {"kern": True, "liga": True})
        x, parts = 0.0, []
        for info, at in zip(buffer.glyph_infos, buffer.glyph_positions, strict=True):
            pen = _Pen(scale)
            shaper.draw_glyph(info.codepoint, pen.funcs, pen)
            if pen.edges:
                moved = np.array(pen.edges)
                moved[:, [0, 2]] += x + at.x_offset
                moved[:, [1, 3]] += at.y_offset
                parts.append(moved)
            x += at.x_advance + spacing * face.upem
        if not parts:
            continue
        edges = np.concatenate(parts)
        middle = (edges[:, [0, 2]].min() + edges[:, [0, 2]].max()) / 2
        edges[:, [0, 2]] -= middle
        down = (number - (len(lines) - 1) / 2) * leading * face.upem
        edges[:, [1, 3]] = caps / 2 - edges[:, [1, 3]] + down
        rows.append(edges)
    return np.concatenate(rows) * scale if rows else np.zeros((0, 4))

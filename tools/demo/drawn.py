"""What the pictures of the demo are drawn with."""

import numpy as np

from mivex.core.base.types import Floats
from mivex.core.picture.encode import write_picture
from mivex.core.pixels.shapes import box, polygon
from mivex.demo import FOLDER


def save(name: str, rgb: Floats, alpha: Floats | None = None) -> None:
    """Write colour (h, w, 3) and alpha (h, w) in [0, 1] as an 8-bit PNG into the demo's folder."""
    values = rgb if alpha is None else np.dstack([rgb, alpha])
    write_picture(FOLDER / name, np.clip(values, 0, 1).astype(np.float32), 8)


def flat(h: int, w: int, rgb: tuple[float, float, float]) -> Floats:
    """A picture (h, w, 3) of one colour."""
    return np.broadcast_to(np.array(rgb, np.float32), (h, w, 3)).copy()


def letters(y: Floats, x: Floats, h: float, top: float, left: float) -> tuple[Floats, float]:
    """Distance to the stencilled registration NR-04, and its width; strokes cut by stencil bridges."""
    s, w = h * 0.19, h * 0.62
    gap = h * 0.20
    b, m = top + h, top + h / 2

    def bar(y0: float, x0: float, y1: float, x1: float) -> Floats:
        return polygon(y, x, [(y0, x0), (y0, x1), (y1, x1), (y1, x0)])

    def bridge(x0: float, at: float) -> Floats:
        return bar(at - h * 0.028, x0 - 2, at + h * 0.028, x0 + w + 2)

    u = left
    glyphs = []
    n = np.minimum(
        np.minimum(bar(top, u, b, u + s), bar(top, u + w - s, b, u + w)),
        polygon(y, x, [(top, u), (top, u + s * 1.12), (b, u + w), (b, u + w - s * 1.12)]),
    )
    glyphs.append((n, bridge(u, m)))
    u += w + gap
    bowl = np.maximum(
        box(y, x, top + h * 0.28, u + w * 0.42, h * 0.28, w * 0.58, h * 0.2),
        -box(y, x, top + h * 0.28, u + w * 0.42, h * 0.28 - s, w * 0.58 - s, h * 0.09),
    )
    bowl = np.maximum(bowl, u - x)
    r = np.minimum(
        np.minimum(bowl, bar(top, u, b, u + s)),
        polygon(
            y,
            x,
            [(top + h * 0.5, u + w * 0.30), (top + h * 0.5, u + w * 0.30 + s * 1.15), (b, u + w), (b, u + w - s * 1.2)],
        ),
    )
    glyphs.append((r, bridge(u, top + h * 0.28)))
    u += w + gap
    glyphs.append((bar(m - s * 0.45, u, m + s * 0.45, u + w * 0.5), np.full(y.shape, 1e3, np.float32)))
    u += w * 0.5 + gap
    zero = np.maximum(
        box(y, x, m, u + w / 2, h / 2, w / 2, h * 0.22), -box(y, x, m, u + w / 2, h / 2 - s, w / 2 - s, h * 0.1)
    )
    cut = np.minimum(
        bar(top - 2, u + w / 2 - h * 0.028, top + s + 2, u + w / 2 + h * 0.028),
        bar(b - s - 2, u + w / 2 - h * 0.028, b + 2, u + w / 2 + h * 0.028),
    )
    glyphs.append((zero, cut))
    u += w + gap
    four = np.minimum(
        np.minimum(
            bar(top, u + w - s * 1.25, b, u + w - s * 0.25),
            bar(top + h * 0.60, u, top + h * 0.60 + s * 0.9, u + w + s * 0.1),
        ),
        polygon(
            y, x, [(top, u + w * 0.48), (top, u + w * 0.48 + s * 1.2), (top + h * 0.68, u + s * 1.05), (top + h * 0.68, u)]
        ),
    )
    glyphs.append((four, bar(top + h * 0.46, u - 2, top + h * 0.516, u + w + 2)))
    u += w
    out = np.full(y.shape, 1e3, np.float32)
    for shape, cut_away in glyphs:
        out = np.minimum(out, np.maximum(shape, -cut_away))
    return out, u - left

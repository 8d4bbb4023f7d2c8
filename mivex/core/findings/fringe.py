"""Fringe: hidden colour that leaks in when a straight texture is filtered.

The same texture is filtered twice: straight colour, as hardware does, and
premultiplied colour, which is the truth (Porter and Duff 1984; Smith 1995,
*Image Compositing Fundamentals*). Both share alpha ``a``; what reaches the
screen differs by ``a · |C_straight − P/a|`` in linear light. It is reported as
it is seen: both composited over black, display mid grey and white, encoded for
display, the largest difference over backdrops and channels, 0 to 255.
"""

from dataclasses import dataclass, replace

import cv2
import numba as nb
import numpy as np

from mivex.core.bands import run_bands
from mivex.core.findings.base import Check, Finding, Repair, Subject
from mivex.core.image.colour import LUMINANCE, _encode_one, hex_of, to_display, to_linear
from mivex.core.image.files import read_picture
from mivex.core.image.texture import Texture
from mivex.core.prepare.base import Context, Surface
from mivex.core.prepare.spread import Spread
from mivex.core.prepare.spread import run as spread
from mivex.core.types import Floats

LIMIT = 4.0
"""A 99th percentile above this, at any level of at least 4×4 texels, is a finding (of 255)."""

TRUST, THIN = 0.5, 0.12
"""Where fewer of the seen texels than this share are fainter than that, the faint ones are only an edge, whose
colour may be replaced too."""

_GREY = np.float32(float(to_linear(np.array([0.5], np.float32))[0]))


@nb.njit(nogil=True, cache=True, inline="always")
def _clip01(v):  # type: ignore[no-untyped-def]
    return min(max(v, np.float32(0)), np.float32(1))


@nb.njit(nogil=True, cache=True)
def seen_difference(p, q, a, grey, encode):  # type: ignore[no-untyped-def]
    """Largest display difference of two associated colours of alpha ``a``, 0 to 255. For kernels."""
    worst = np.float32(0)
    if abs(p - q) < np.float32(1e-7):
        return worst
    for k in range(3):
        back = np.float32(0) if k == 0 else (grey if k == 1 else np.float32(1))
        behind = (np.float32(1) - a) * back
        s, t = _clip01(p + behind), _clip01(q + behind)
        d = abs(_encode_one(s) - _encode_one(t)) if encode else abs(s - t)
        worst = max(worst, d)
    return worst * np.float32(255)


@nb.njit(nogil=True, cache=True)
def _level_rows(straight, true, grey, encode, out, first, last):  # type: ignore[no-untyped-def]
    for y in range(first, last):
        for x in range(out.shape[1]):
            a = straight[y, x, 3]
            if not a > 0:
                out[y, x] = -1
                continue
            worst = np.float32(0)
            for c in range(3):
                worst = max(worst, seen_difference(straight[y, x, c] * a, true[y, x, c], a, grey, encode))
            out[y, x] = worst


@nb.njit(nogil=True, cache=True)
def _corner_rows(texels, grey, encode, wrap, out, first, last):  # type: ignore[no-untyped-def]
    h, w = out.shape
    q = np.float32(0.25)
    for y in range(first, last):
        y1 = (y + 1) % h if wrap else min(y + 1, h - 1)
        for x in range(w):
            x1 = (x + 1) % w if wrap else min(x + 1, w - 1)
            a00, a01, a10, a11 = texels[y, x, 3], texels[y, x1, 3], texels[y1, x, 3], texels[y1, x1, 3]
            a = (a00 + a01 + a10 + a11) * q
            if not a > 0:
                out[y, x] = -1
                continue
            worst = np.float32(0)
            if not a00 == a01 == a10 == a11:
                for c in range(3):
                    c00, c01, c10, c11 = texels[y, x, c], texels[y, x1, c], texels[y1, x, c], texels[y1, x1, c]
                    straight = (c00 + c01 + c10 + c11) * q * a
                    true = (c00 * a00 + c01 * a01 + c10 * a10 + c11 * a11) * q
                    worst = max(worst, seen_difference(straight, true, a, grey, encode))
            out[y, x] = worst


@dataclass(frozen=True)
class LevelFringe:
    """Fringe figure of one mip level, 0 to 255, over texels with alpha above 0."""

    level: int
    width: int
    height: int
    maximum: float
    p99: float
    mean: float


def fringe_map(texture: Texture, level: int, *, wrap: bool = False) -> Floats:
    """Picture of the fringe at one level.

    Parameters
    ----------
    texture : Texture
    level : int
        0 judges the corners between texels (corner ``y, x`` lies between texel
        ``y, x`` and the next row and column); higher levels judge their texels.
    wrap : bool
        The texture repeats, so its borders meet.

    Returns
    -------
    float32 array (level height, level width)
        0 to 255; −1 where alpha is 0.
    """
    grey, encode = (_GREY, True) if texture.meaning == "colour" else (np.float32(0.5), False)
    straight = texture.mips.level(level)
    out: Floats = np.zeros(straight.shape[:2], np.float32)
    if texture.premultiplied:
        out[straight[..., 3] <= 0] = -1
    elif level == 0:
        run_bands(out.shape[0], lambda a, b: _corner_rows(straight, grey, encode, wrap, out, a, b))
    else:
        true = texture.true_mips.level(level)
        run_bands(out.shape[0], lambda a, b: _level_rows(straight, true, grey, encode, out, a, b))
    return out


def fringe_figures(texture: Texture, *, wrap: bool = False) -> list[LevelFringe]:
    """Maximum, 99th percentile and mean of the fringe at every level; see `fringe_map`."""
    rows = []
    for i in range(texture.mips.levels):
        seen = fringe_map(texture, i, wrap=wrap)
        h, w = seen.shape[:2]
        seen = seen[seen >= 0]
        if seen.size:
            rows.append(LevelFringe(i, w, h, float(seen.max()), float(np.percentile(seen, 99)),
                                    float(seen.mean(dtype=np.float64))))
        else:
            rows.append(LevelFringe(i, w, h, 0.0, 0.0, 0.0))
    return rows


def replace_hidden(texture: Texture, solid_from: float = 0.0) -> Texture:
    """The texture as `spread` would leave it: texels that are not trusted hold the nearest trusted colour."""
    surface = Surface(texture.values, texture.meaning == "data")
    fixed = spread(surface, Spread(solid_from=solid_from), Context(read_picture))
    return replace(texture, values=fixed.values, key="")


def _leak(t: Texture) -> tuple[str, bool]:
    """Colour of the clear texels that touch the shape, as code, and whether it is darker than the shape's edge."""
    seen = (t.alpha > 0).astype(np.uint8)
    ring = (cv2.dilate(seen, np.ones((5, 5), np.uint8)) > 0) & (seen == 0)
    edge = (cv2.erode(seen, np.ones((5, 5), np.uint8)) == 0) & (seen > 0)
    if not ring.any() or not edge.any():
        return "colour", True
    inside, outside = (t.linear[m][:, :3].mean(axis=0, dtype=np.float64).astype(np.float32) for m in (edge, ring))
    shown = to_display(outside) if t.meaning == "colour" else outside
    r, g, b = (float(v) for v in shown)
    return hex_of((r, g, b)), bool(outside @ LUMINANCE < inside @ LUMINANCE)


def _measure(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not subject.uses_alpha or subject.flat_alpha or t.premultiplied or t.spread > 0:
        return []
    wrap = bool(subject.material and subject.material.tiling)
    rows = fringe_figures(t, wrap=wrap)
    judged = [r for r in rows if min(r.width, r.height) >= 4] or rows[:1]
    worst = max(judged, key=lambda r: r.p99)
    if worst.p99 <= LIMIT:
        return []
    trust = 0.0
    cured = fringe_figures(replace_hidden(t), wrap=wrap)[worst.level]
    seen_texels = int((t.alpha > 0).sum())
    if cured.p99 > LIMIT and 0 < int(((t.alpha > 0) & (t.alpha < TRUST)).sum()) < THIN * seen_texels:
        # A crisp shape whose outermost texels hold the foreign colour themselves, as after keying a photograph.
        firm = fringe_figures(replace_hidden(t, TRUST), wrap=wrap)[worst.level]
        if firm.p99 < 0.6 * cured.p99:
            trust, cured = TRUST, firm
    if worst.p99 - cured.p99 <= LIMIT:
        # Colour and alpha vary together inside the shape: true of any straight texture, and not hidden colour.
        return []
    seen = fringe_map(t, worst.level, wrap=wrap)
    y, x = np.unravel_index(int(seen.argmax()), seen.shape)
    size = 1 << worst.level
    hidden, darker = _leak(t)
    tone = "dark" if darker else "light"
    where = "between texels at full size" if worst.level == 0 else f"at mip level {worst.level}"
    return [Finding(
        "fringe", subject.name, worst.p99, "of 255",
        f"A {tone} rim: hidden {hidden} leaks into the edge {where}; 99 % of texels differ by up to "
        f"{worst.p99:.1f} of 255, the worst by {worst.maximum:.1f}.",
        f"Filtering mixes the colour under clear texels into the edge: a {tone} rim that grows with distance.",
        (max(0, int(x) * size - size), max(0, int(y) * size - size), 3 * size, 3 * size),
        Repair("Spread edge colour outwards", (Spread(method="nearest", solid_from=trust),)),
        {"level": worst.level, "maximum": worst.maximum, "p99": worst.p99, "mean": worst.mean,
         "after_repair": cured.p99, "limit": LIMIT, "rim": tone, "hidden": hidden})]


CHECKS = (Check("fringe", "Fringe when filtered", _measure),)

"""Steps for repeating textures: ``make-tile`` and ``noise``; and the seam figure.

References
----------
Perlin (2002), *Improving Noise*: gradient noise; its lattice is taken modulo
the period here, so that it repeats by construction.
"""

from dataclasses import dataclass, replace
from typing import Literal

import numba as nb
import numpy as np

from mivex.core.bands import run_bands
from mivex.core.image.texture import Texture
from mivex.core.prepare.base import Context, Step, StepParams, Surface, setting
from mivex.core.prepare.weighing import unweighed, weighed
from mivex.core.types import Floats


class MakeTile(StepParams):
    """Settings of ``make-tile``."""

    step: Literal["make-tile"] = "make-tile"
    band: float = setting(0.25, "Band", "Width along each side, as a share of the picture, over which it passes into "
                          "its own middle; 0 changes nothing.", ge=0, le=0.5)
    way: Literal["both", "across", "down"] = setting(
        "both", "Repeats", "Which sides must meet.",
        choices={"both": "Both ways", "across": "Left and right", "down": "Top and bottom"})


class Noise(StepParams):
    """Settings of ``noise``."""

    step: Literal["noise"] = "noise"
    form: Literal["clouds", "ridges", "grain"] = setting(
        "clouds", "Form", "Clouds are soft, ridges vein-like, grain is fine and even.",
        choices={"clouds": "Clouds", "ridges": "Ridges", "grain": "Grain"})
    cells: int = setting(6, "Features", "Largest features across the picture; it repeats exactly.", ge=1, le=512,
                         drag=(1, 64))
    octaves: int = setting(4, "Detail", "Layers, each twice as fine and half as strong.", ge=1, le=9)
    contrast: float = setting(1.5, "Contrast", "Spreads the values apart.", ge=0, le=16, drag=(0.2, 5))
    middle: float = setting(0.5, "Middle", "Lower gives more holes, higher more body.", ge=0, le=1)
    seed: int = setting(1, "Seed", "Another number, another pattern; the same number, the same one.", ge=0, le=99999,
                        drag=(0, 100))
    into: Literal["multiply", "subtract", "replace", "colour"] = setting(
        "multiply", "Goes into", "Multiplies the alpha, is taken from it, takes its place, or becomes grey colour.",
        choices={"multiply": "Alpha, multiplied", "subtract": "Alpha, taken away", "replace": "Alpha, replaced",
                 "colour": "Colour, as grey"})
    amount: float = setting(1.0, "Amount", "0 changes nothing.", ge=0, le=1)


@nb.njit(nogil=True, cache=True, inline="always")
def _hash(x, y, seed):  # type: ignore[no-untyped-def]
    # Numba widens 32-bit products to 64 bits; the mask brings them back.
    low = np.uint64(0xFFFFFFFF)
    h = (np.uint64(x) * np.uint64(0x9E3779B1) & low) ^ (np.uint64(y) * np.uint64(0x85EBCA77) & low) ^ np.uint64(seed)
    h = ((h ^ (h >> np.uint64(15))) * np.uint64(0x2C1B3C6D)) & low
    h = ((h ^ (h >> np.uint64(12))) * np.uint64(0x297A2D39)) & low
    return h ^ (h >> np.uint64(15))


_COS = np.cos(np.arange(16) * np.pi / 8).astype(np.float32)
_SIN = np.sin(np.arange(16) * np.pi / 8).astype(np.float32)


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _noise_rows(cells_x, cells_y, octaves, seed, form, out, first, last):  # type: ignore[no-untyped-def]
    h, w = out.shape
    one = np.float32(1)
    cell, place, ease = np.empty(w, np.int64), np.empty(w, np.float32), np.empty(w, np.float32)
    for o in range(octaves):
        nx, ny = cells_x << o, cells_y << o
        weight = np.float32(0.5 ** o)
        s = seed * 1013 + o * 7919
        for x in range(w):
            u = (np.float32(x) + np.float32(0.5)) / np.float32(w) * np.float32(nx)
            cell[x] = int(u)
            fx = u - np.float32(cell[x])
            place[x], ease[x] = fx, fx * fx * fx * (fx * (fx * np.float32(6) - np.float32(15)) + np.float32(10))
        for y in range(first, last):
            v = (np.float32(y) + np.float32(0.5)) / np.float32(h) * np.float32(ny)
            iy = int(v)
            fy = v - np.float32(iy)
            jy = (iy + 1) % ny
            iy %= ny
            ey = fy * fy * fy * (fy * (fy * np.float32(6) - np.float32(15)) + np.float32(10))
            x = 0
            while x < w:
                # The slopes at a cell's four corners serve all its texels of this row.
                ix = cell[x]
                jx, kx = (ix + 1) % nx, ix % nx
                a, b = _hash(kx, iy, s) & np.uint64(15), _hash(jx, iy, s) & np.uint64(15)
                c, d = _hash(kx, jy, s) & np.uint64(15), _hash(jx, jy, s) & np.uint64(15)
                c00, c01, c10, c11 = _COS[a], _COS[b], _COS[c], _COS[d]
                t0, t1 = _SIN[a] * fy, _SIN[b] * fy - c01
                l0, l1 = _SIN[c] * (fy - one), _SIN[d] * (fy - one) - c11
                while x < w and cell[x] == ix:
                    fx, ex = place[x], ease[x]
                    top, low = c00 * fx + t0, c10 * fx + l0
                    top += (c01 * fx + t1 - top) * ex
                    low += (c11 * fx + l1 - low) * ex
                    n = (top + (low - top) * ey) * np.float32(1.4)
                    out[y, x] += weight * (n if form == 0 else np.float32(0.55) - abs(n) * np.float32(2.2))
                    x += 1


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _grain_rows(cells_x, cells_y, octaves, seed, out, first, last):  # type: ignore[no-untyped-def]
    h, w = out.shape
    for y in range(first, last):
        for o in range(octaves):
            ny, nx = cells_y << o, cells_x << o
            iy = min(int((np.float32(y) + np.float32(0.5)) / np.float32(h) * np.float32(ny)), ny - 1)
            for x in range(w):
                ix = min(int((np.float32(x) + np.float32(0.5)) / np.float32(w) * np.float32(nx)), nx - 1)
                r = np.float32(_hash(ix, iy, seed * 1013 + o * 7919) & np.uint64(65535))
                out[y, x] += np.float32(0.5 ** o) * (r / np.float32(32767.5) - np.float32(1)) * np.float32(0.6)


def noise_field(height: int, width: int, p: Noise) -> Floats:
    """The noise in [0, 1], repeating with the picture; the same pattern at every size."""
    out: Floats = np.zeros((height, width), np.float32)
    across = max(1, round(p.cells * width / max(width, height)))
    down = max(1, round(p.cells * height / max(width, height)))
    if p.form == "grain":
        run_bands(height, lambda a, b: _grain_rows(across, down, p.octaves, p.seed, out, a, b))
    else:
        run_bands(height, lambda a, b: _noise_rows(across, down, p.octaves, p.seed, int(p.form == "ridges"), out, a, b))
    return np.clip(out * np.float32(p.contrast / 2) + np.float32(p.middle), 0, 1)


def run_noise(surface: Surface, params: Noise, context: Context) -> Surface:
    """Join the noise with alpha, or make it the colour; amount 0 changes nothing."""
    if params.amount == 0:
        return surface
    h, w = surface.alpha.shape
    n = noise_field(h, w, params)
    k = np.float32(params.amount)
    if params.into == "colour":
        rgb = surface.values[..., :3]
        return surface.with_colour(rgb + (n[..., None] - rgb) * k)
    a = surface.alpha
    joined = a * n if params.into == "multiply" else np.clip(a - n, 0, 1) if params.into == "subtract" else n
    return surface.with_alpha(a + (joined - a) * k)


def _ramp(n: int, band: float) -> Floats:
    """1 in the middle, falling smoothly to 0 at both ends over ``band`` of the length."""
    x = (np.arange(n) + 0.5) / n
    t = np.clip(np.minimum(x, 1 - x) / max(band, 1e-6), 0, 1)
    return (t * t * (3 - 2 * t)).astype(np.float32)


def run_tile(surface: Surface, params: MakeTile, context: Context) -> Surface:
    """``w·I(x) + (1 − w)·I(x + half)``, premultiplied in linear light: at the sides stands the unbroken middle."""
    if params.band == 0:
        return surface
    p = weighed(surface)
    h, w = p.shape[:2]
    flat = np.ones((1, 1), np.float32)
    across = _ramp(w, params.band) if params.way in ("both", "across") else flat[0]
    down = _ramp(h, params.band) if params.way in ("both", "down") else flat[0]
    out: Floats = np.empty_like(p)
    run_bands(h, lambda a, b: _tile_rows(p, across, down, out, a, b))
    return replace(surface, values=unweighed(out, surface.values, surface.data))


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _tile_rows(p, across, down, out, first, last):  # type: ignore[no-untyped-def]
    h, w = p.shape[0], p.shape[1]
    one = np.float32(1)
    for y in range(first, last):
        ky = down[y] if down.size > 1 else one
        j = (y + h // 2) % h
        for x in range(w):
            kx = across[x] if across.size > 1 else one
            i = (x + w // 2) % w
            for c in range(4):
                near = p[y, x, c] * kx + p[y, i, c] * (one - kx)
                far = p[j, x, c] * kx + p[j, i, c] * (one - kx)
                out[y, x, c] = near * ky + far * (one - ky)


@dataclass(frozen=True)
class Seam:
    """How a texture meets itself across one pair of sides.

    Attributes
    ----------
    sides : str
        ``left and right`` or ``top and bottom``.
    across, inside : float
        Mean step from texel to texel over the seam, and inside; 0 to 255, of colour times alpha and of alpha.
    """

    sides: str
    across: float
    inside: float

    @property
    def ratio(self) -> float:
        """How many times the inner step the seam is; 1 is no seam at all."""
        return self.across / max(self.inside, 0.25)


def seams(texture: Texture) -> tuple[Seam, Seam]:
    """Measure both pairs of sides."""
    v = texture.values
    shown = np.concatenate([v[..., :3] * v[..., 3:], v[..., 3:]], axis=2) * 255
    rows = []
    for sides, axis in (("left and right", 1), ("top and bottom", 0)):
        first, last = np.take(shown, 0, axis), np.take(shown, -1, axis)
        inner = float(np.abs(np.diff(shown, axis=axis)).mean()) if shown.shape[axis] > 1 else 0.0
        rows.append(Seam(sides, float(np.abs(first - last).mean()), inner))
    return rows[0], rows[1]


STEPS = (
    Step(MakeTile, run_tile, "Make it tile", "Blends the sides into the picture's own middle, so that it repeats "
         "without a seam.", "source"),
    Step(Noise, run_noise, "Noise", "Breaks up the alpha, or makes a pattern, with noise that repeats by "
         "construction.", "alpha"),
)

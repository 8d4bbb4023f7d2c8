"""Environments: what surrounds the stage far away, prefiltered for every roughness.

All is made here, from a few soft shapes of light. Three are without colour, of different contrast; one is coloured.
"""

import contextlib
import hashlib
import io
import os
from collections.abc import Callable
from dataclasses import dataclass
from functools import cache
from pathlib import Path

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.errors import MivexError
from mivex.core.base.lazy import Lazy
from mivex.core.base.store import write_bytes
from mivex.core.base.types import Doubles, Floats

_kernels = Lazy("mivex.core.stage.kernels.environment")

SIZES = (256, 256, 128, 128, 128, 64, 64, 64, 64, 32, 32, 32)
"""Side of each level's map; level i belongs to roughness i / 11."""
EVEN_SIDE = 32
TABLE_SIDE = 64
_FINEST = (96, 32)
_RINGS_OF = ((1, 1), (12, 8), (24, 16), (32, 16), (32, 24), *[(64, 32)] * 4, *[_FINEST] * 3)
"""Rings and places on each by level: the narrower the lobe against the map's texels, the fewer are needed."""


@dataclass(frozen=True, eq=False)
class Environment:
    """A prefiltered environment.

    Attributes
    ----------
    sky : float32 array (n, 4)
        Every level's map with its border, one after the other.
    starts : tuple of int
        First texel of each level.
    even : float32 array (EVEN_SIDE + 2, EVEN_SIDE + 2, 4)
        What a matt white surface turned that way reflects.
    """

    sky: Floats
    starts: tuple[int, ...]
    even: Floats

    def level(self, index: int) -> Floats:
        """One level's map, with its border."""
        side = SIZES[index] + 2
        return self.sky[self.starts[index] : self.starts[index] + side * side].reshape(side, side, 4)


def directions(side: int) -> Doubles:
    """Unit directions of the texels of an octahedral map, (side, side, 3)."""
    v, u = np.meshgrid((np.arange(side) + 0.5) / side, (np.arange(side) + 0.5) / side, indexing="ij")
    p, q = 2 * u - 1, 2 * v - 1
    y = 1 - np.abs(p) - np.abs(q)
    a = (1 - np.abs(q)) * np.where(p >= 0, 1, -1)
    # The lower half of the sphere is folded over the diagonals of the square (Engelhardt and Dachsbacher 2008).
    b = (1 - np.abs(p)) * np.where(q >= 0, 1, -1)
    d = np.stack([np.where(y < 0, a, p), y, np.where(y < 0, b, q)], axis=-1)
    return np.asarray(d / np.linalg.norm(d, axis=-1, keepdims=True))


def _smooth(low: float, high: float, x: Doubles) -> Doubles:
    t = np.clip((x - low) / (high - low), 0, 1)
    return np.asarray(t * t * (3 - 2 * t))


def _glow(d: Doubles, yaw: float, pitch: float, wide: float, high: float, soft: float = 0.35) -> Doubles:
    """A soft rectangle of light, its middle at yaw and pitch; half sizes as angles, all in degrees."""
    (cy, cp), (sy, sp) = np.cos(np.radians([yaw, pitch])), np.sin(np.radians([yaw, pitch]))
    out = np.array([sy * cp, sp, cy * cp])
    right = np.array([cy, 0, -sy])
    z = d @ out
    # A plane one unit away in that direction: soft borders are even across it.
    x, y = d @ right / np.maximum(z, 1e-6), d @ np.cross(out, right) / np.maximum(z, 1e-6)
    tx, ty = np.tan(np.radians(wide)), np.tan(np.radians(high))
    across, up = _smooth(1 - soft, 1 + soft, np.abs(x) / tx), _smooth(1 - soft, 1 + soft, np.abs(y) / ty)
    return np.where(z > 0, (1 - across) * (1 - up), 0)


def _grey(v: Doubles) -> Doubles:
    return np.repeat(v[..., None], 3, axis=-1)


def _overcast(d: Doubles) -> Doubles:
    up = d[..., 1]
    return _grey(np.where(up > 0, 0.50 + 0.30 * up, 0.30 + 0.20 * np.clip(up + 0.3, 0, 0.3) / 0.3))


def _hall(d: Doubles) -> Doubles:
    v = 0.26 + 0.10 * _smooth(-0.3, 0.5, d[..., 1])
    for yaw, pitch in ((20, 62), (20, 34), (200, 58), (110, 40), (290, 40)):
        v = v + 2.6 * _glow(d, yaw, pitch, 26, 4.5)
    v = v + 0.75 * _glow(d, -70, 8, 22, 16) + 0.30 * _glow(d, 160, 4, 34, 12)
    return _grey(v * np.where(d[..., 1] < -0.02, 0.7, 1.0))


def _spots(d: Doubles) -> Doubles:
    v = 0.09 + 0.05 * _smooth(-0.2, 0.6, d[..., 1])
    for yaw, pitch, size, power in (
        (35, 48, 7, 14),
        (-60, 30, 5, 16),
        (150, 55, 6, 12),
        (-150, 20, 4, 12),
        (80, 14, 3, 14),
    ):
        v = v + power * _glow(d, yaw, pitch, size, size)
    return _grey(v)


def _evening(d: Doubles) -> Doubles:
    up = d[..., 1]
    sky = np.array([0.20, 0.30, 0.52]) + np.array([0.42, 0.22, 0.02]) * np.exp(-np.maximum(up, 0) * 5)[..., None]
    ground = np.array([0.16, 0.13, 0.11])
    rgb = np.where((up > 0)[..., None], sky, ground)
    sun = _glow(d, -55, 9, 6, 5)
    haze = _glow(d, -55, 6, 40, 14, 0.9)
    return np.asarray(rgb + sun[..., None] * np.array([14.0, 7.5, 3.0]) + haze[..., None] * np.array([0.55, 0.28, 0.10]))


SKIES: dict[str, Callable[[Doubles], Doubles]] = {
    "overcast": _overcast,
    "hall": _hall,
    "spots": _spots,
    "evening": _evening,
}


def bordered(inner: Floats) -> Floats:
    """A map with the texels that lie beyond its edges on the sphere: each edge is folded at its middle."""
    n = inner.shape[0]
    out = np.zeros((n + 2, n + 2, 4), np.float32)
    out[1:-1, 1:-1] = inner
    # Beyond an edge the octahedron goes on at the same edge, mirrored; at a corner, at the corner across.
    out[0, 1:-1], out[-1, 1:-1] = inner[0, ::-1], inner[-1, ::-1]
    out[1:-1, 0], out[1:-1, -1] = inner[::-1, 0], inner[::-1, -1]
    out[0, 0], out[0, -1], out[-1, 0], out[-1, -1] = inner[-1, -1], inner[-1, 0], inner[0, -1], inner[0, 0]
    return out


def radiance(name: str, side: int) -> Floats:
    """The environment as it is, an octahedral map with its border: float32 (side + 2, side + 2, 4)."""
    # Averaged from four: the small lights are a few texels wide, and would flicker from map to map.
    fine = directions(side * 2)  # four directions a texel
    rgb = SKIES[name](fine).reshape(side, 2, side, 2, 3).mean(axis=(1, 3))
    return bordered(np.concatenate([rgb, np.ones((side, side, 1))], axis=-1).astype(np.float32))


def rings(rough: float, count: int = _FINEST[0]) -> tuple[Doubles, Doubles]:
    """Cosines and shares of rings round a direction by which a mirror of this roughness weighs the sky.

    ``D(h) · n·l`` with the eye along the normal: the half vector drawn by ``D(h) n·h`` at the middles of equal
    shares, each weighed by ``n·l``.
    """
    # A mirror is no ring at all: the floor keeps the lobe a few texels wide.
    a2 = max(rough, 1e-3) ** 4
    e = (np.arange(count) + 0.5) / count
    c = np.sqrt((1 - e) / (1 + (a2 - 1) * e))
    nl = 2 * c * c - 1
    # What falls below the horizon of the reflected ray brings nothing; its share goes to the others.
    w = np.maximum(nl, 0)
    return np.clip(nl, -1, 1)[w > 0], (w / w.sum())[w > 0]


def even_rings(count: int = _FINEST[0]) -> tuple[Doubles, Doubles]:
    """The same for a matt surface: by the cosine."""
    e = (np.arange(count) + 0.5) / count
    return np.sqrt(1 - e), np.full(count, 1 / count)


def _gathered(source: Floats, by: tuple[Doubles, Doubles], turns: int, side: int) -> Floats:
    out = np.zeros((side + 2, side + 2, 4), np.float32)
    size = source.shape[0] - 2
    run_bands(side, lambda a, b: _kernels.gather(source, size, *by, turns, out, side, a, b), least=4)
    return bordered(np.ascontiguousarray(out[1:-1, 1:-1]))


def _smaller(source: Floats) -> Floats:
    inner = source[1:-1, 1:-1]
    n = inner.shape[0] // 2
    return bordered(inner.reshape(n, 2, n, 2, 4).mean(axis=(1, 3)))


def prefiltered(full: Floats) -> Environment:
    """Filter an environment for every roughness.

    Parameters
    ----------
    full : float32 array (SIZES[0] + 2, SIZES[0] + 2, 4)
        With its border, as `radiance` gives it.
    """
    pyramid = [full]
    while pyramid[-1].shape[0] - 2 > SIZES[0] // 2:
        pyramid.append(_smaller(pyramid[-1]))
    top = len(SIZES) - 1
    maps = []
    for i, side in enumerate(SIZES):
        if i == 0:
            maps.append(full)
            continue
        # Wide lobes read a smaller map: places on their rings lie further apart than its texels then.
        source = pyramid[0 if i < 6 else 1]
        maps.append(_gathered(source, rings(i / top, _RINGS_OF[i][0]), _RINGS_OF[i][1], side))
    starts = np.cumsum([0] + [m.shape[0] ** 2 for m in maps])[:-1]
    sky = np.concatenate([m.reshape(-1, 4) for m in maps])
    return Environment(
        np.ascontiguousarray(sky), tuple(int(s) for s in starts), _gathered(pyramid[1], even_rings(), _FINEST[1], EVEN_SIDE)
    )


def _kept(name: str, make: Callable[[], dict[str, Floats]]) -> dict[str, Floats]:
    """Arrays from the user's cache, or made and put there; another folder whenever the code that makes them changes."""
    text = Path(__file__).read_bytes()
    for part in ("environment", "light"):
        text += (Path(__file__).parent / "kernels" / f"{part}.py").read_bytes()
    base = os.environ.get("XDG_CACHE_HOME") or os.path.expanduser("~/.cache")
    place = Path(base) / "mivex" / f"light-{hashlib.blake2b(text, digest_size=6).hexdigest()}" / f"{name}.npz"
    try:
        # Any reading error means: make it anew. A half-written file is one of them.
        with np.load(place) as found:
            return {k: found[k] for k in found.files}
    except (OSError, ValueError, EOFError, KeyError):
        made = make()
        # Without a cache the light is only slower to appear.
        with contextlib.suppress(OSError, MivexError):
            place.parent.mkdir(parents=True, exist_ok=True)
            held = io.BytesIO()
            np.savez(held, **made)  # type: ignore[arg-type]
            write_bytes(place, held.getvalue())
        return made


@cache
def environment(name: str) -> Environment:
    """One of `ENVIRONMENTS`, prefiltered; made once, the same each time."""

    def make() -> dict[str, Floats]:
        e = prefiltered(radiance(name, SIZES[0]))
        return {"sky": e.sky, "starts": np.array(e.starts), "even": e.even}

    got = _kept(name, make)
    return Environment(got["sky"], tuple(int(s) for s in got["starts"]), got["even"])


@cache
def reflectance_table() -> Floats:
    """Scale and shift of the reflectance under an even sky: float32 (64, 64, 2), rows by roughness, columns by n·v."""

    def make() -> dict[str, Floats]:
        out = np.zeros((TABLE_SIDE, TABLE_SIDE, 2))
        run_bands(TABLE_SIDE, lambda a, b: _kernels.integrate(out, 128, 32, a, b), least=4)
        return {"table": out.astype(np.float32)}

    return _kept("table", make)["table"]


def atlas(env: Environment) -> tuple[Floats, list[list[int]]]:
    """Every map of an environment in one picture, for those who draw elsewhere.

    Returns
    -------
    float32 array (height, width, 3), list of [x, y, side]
        The levels, the sharpest first, and last what is even; each with a border of one texel, which ``side`` leaves out.
    """
    maps = [*(env.level(k) for k in range(len(SIZES))), env.even]
    wide, x, y, high, at = maps[0].shape[0] + maps[1].shape[0], 0, 0, 0, []
    for m in maps:
        side = m.shape[0]
        if x + side > wide:
            x, y, high = 0, y + high, 0
        at.append([x, y, side - 2])
        x, high = x + side, max(high, side)
    out = np.zeros((y + high, wide, 3), np.float32)
    for (x, y, side), m in zip(at, maps, strict=True):
        out[y : y + side + 2, x : x + side + 2] = m[..., :3]
    return out, at

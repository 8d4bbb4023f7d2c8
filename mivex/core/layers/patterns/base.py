"""What every pattern is made of: settings, and a pure function to values in [0, 1].

A pattern repeats with the picture, is the same at every size, and says sizes as shares of the picture's shorter side
or as how often something goes into it.
"""

import math
from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from fractions import Fraction
from typing import Any, ClassVar

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.settings import OmitDefaultsModel, setting
from mivex.core.base.types import Floats

cv2 = Lazy("cv2")
_noise = Lazy("mivex.core.prepare.kernels.tiling")
_kernels = Lazy("mivex.core.layers.kernels.patterns")

FINEST = 128
"""The finest noise has so many features across: still four texels each in a picture of 512."""


class PatternParams(OmitDefaultsModel):
    """Settings of one pattern."""

    ALWAYS: ClassVar = frozenset({"kind"})
    kind: str = ""
    WHEN: ClassVar[dict[str, tuple[str, tuple[Any, ...]]]] = {}
    """As in steps: settings that matter only while another one has one of some values."""


@dataclass(frozen=True)
class Pattern:
    """A registered pattern.

    Attributes
    ----------
    params : type of PatternParams
    draw : callable
        ``draw(params, height, width) -> float32 (height, width)`` in [0, 1]; pure.
    label, hint : str
        Its name, and what it looks like.
    cells : mapping
        What a new layer through it makes of the channels that such a thing changes in the world.
    """

    params: type[PatternParams]
    draw: Callable[[Any, int, int], Floats]
    label: str
    hint: str
    cells: Mapping[str, Mapping[str, Any]] = field(default_factory=dict)

    @property
    def name(self) -> str:
        """The word that names it in a project."""
        return str(self.params.model_fields["kind"].default)


def usual(
    colour: tuple[float, float, float] | None = None,
    opacity: float | None = None,
    haze: float | None = None,
    roughness: float | None = None,
    height: float | None = None,
) -> dict[str, dict[str, Any]]:
    """What a new layer makes of channels; ``haze`` is opacity that is added to what is there."""
    rows: dict[str, dict[str, Any]] = {}
    if colour is not None:
        rows["colour"] = {"colour": colour}
    if opacity is not None or haze is not None:
        rows["opacity"] = {"number": opacity} if haze is None else {"number": haze, "join": "add"}
    if roughness is not None:
        rows["roughness"] = {"number": roughness}
    if height is not None:
        rows["height"] = {"number": height, "join": "add"}
    return rows


def seed() -> Any:
    """The setting that every seeded pattern has."""
    return setting(
        1, "Seed", "Another number, another pattern; the same number, the same one.", ge=0, le=99999, drag=(0, 100)
    )


SEEN = 0.25
"""Of a pattern that stands in patches, what is above this counts as covered."""


def small_size(h: int, w: int) -> tuple[int, int]:
    """A canvas of the same shape, 160 texels at its shorter side, to find out on what holds at every size; 16:1 at most."""
    longer = round(160 * min(float(Fraction(max(h, w) / min(h, w)).limit_denominator(16)), 16.0))
    return (160, longer) if w >= h else (longer, 160)


def level_for(share: float, found: Callable[[float], float], low: float, high: float) -> float:
    """The level at which ``found(level)``, which grows with it, is the share that is asked for; by halving."""
    for _ in range(24):
        middle = (low + high) / 2
        low, high = (middle, high) if found(middle) < share else (low, middle)
    return (low + high) / 2


def counts(n: float, h: int, w: int) -> tuple[int, int]:
    """How often something goes across and down that goes ``n`` times into the shorter side.

    Decided from the canvas's shape, not from its texels: at another size its sides are rounded, and a half would go the
    other way.
    """
    longer = Fraction(max(h, w) / min(h, w)).limit_denominator(16)
    many, few = max(1, math.floor(n * longer + 0.5)), max(1, math.floor(n + 0.5))
    return (many, few) if w >= h else (few, many)


def smooth(x: Floats, low: float, high: float) -> Floats:
    """0 below ``low``, 1 above ``high``, eased between (``3t² − 2t³``); float32."""
    src = np.ascontiguousarray(x, np.float32)
    rows = src.reshape(src.shape[0], -1) if src.ndim > 1 else src.reshape(1, -1)
    out: Floats = np.empty(rows.shape, np.float32)
    scale = np.float32(1 / (high - low if high != low else 1e-6))
    run_bands(rows.shape[0], lambda a, b: _kernels.smooth_rows(rows, np.float32(low), scale, out, a, b))
    return out.reshape(src.shape)


def fractal(
    h: int, w: int, n: float, octaves: int, number: int, stretch: tuple[float, float] = (1.0, 1.0), *, ridges: bool = False
) -> Floats:
    """Gradient noise (Perlin 2002) of about −1 to 1 that repeats; ``n`` features into the shorter side.

    ``stretch``: features are so many times as long across and down.
    """
    out: Floats = np.zeros((h, w), np.float32)
    nx, ny = counts(n, h, w)
    nx, ny = max(1, round(nx / stretch[0])), max(1, round(ny / stretch[1]))
    while octaves > 1 and max(nx, ny) << (octaves - 1) > FINEST * max(h, w) / min(h, w):
        octaves -= 1
    run_bands(h, lambda a, b: _noise.noise_rows(nx, ny, octaves, number, int(ridges), out, a, b))
    return out


def warped(field: Floats, right: Floats, down: Floats) -> Floats:
    """A field read at places moved by shares of the shorter side; it repeats."""
    h, w = field.shape
    short = np.float32(min(h, w))
    x = np.broadcast_to(np.arange(w, dtype=np.float32)[None] + right * short, (h, w)) % np.float32(w)
    y = np.broadcast_to(np.arange(h, dtype=np.float32)[:, None] + down * short, (h, w)) % np.float32(h)
    # One more row and column, so that the last texel meets the first.
    round_ = np.pad(field, ((0, 1), (0, 1)), mode="wrap")
    return np.asarray(cv2.remap(round_, x, y, cv2.INTER_LINEAR), np.float32)


def cellular(h: int, w: int, n: float, jitter: float, number: int) -> tuple[Floats, Floats, Floats]:
    """Distances to the nearest and second nearest of scattered points, in cells, and a value of each (Worley 1996)."""
    nx, ny = counts(n, h, w)
    rng = np.random.default_rng(number)
    px, py = (
        np.float32(0.5) + np.float32(jitter) * (rng.random((ny, nx)).astype(np.float32) - np.float32(0.5)) for _ in range(2)
    )
    value = rng.random((ny, nx)).astype(np.float32)
    near, second, which = (np.empty((h, w), np.float32) for _ in range(3))
    run_bands(h, lambda a, b: _kernels.cells_rows(px, py, value, near, second, which, a, b))
    return near, second, which


def marks(h: int, w: int, rows: Any, *, dome: bool = False) -> Floats:
    """Tapered strokes, given in shares: ends x, y, x, y; half widths; values; sizes count by the shorter side.

    Parameters
    ----------
    rows : array (n, 8)
    dome : bool
        Rounded across instead of flat.
    """
    out: Floats = np.zeros((h, w), np.float32)
    if len(rows):
        short = min(h, w)
        table = (np.asarray(rows, np.float64) * np.array([w, h, w, h, short, short, 1, 1])).astype(np.float32)
        run_bands(h, lambda a, b: _kernels.marks_rows(out, table, dome, a, b))
    return np.minimum(out, 1)


def away(h: int, w: int, at: tuple[float, float]) -> tuple[Floats, Floats]:
    """Way from a place, across and down, round the back where that is shorter; shares of the shorter side."""
    short = min(h, w)
    x = (np.arange(w, dtype=np.float32) + np.float32(0.5)) / w - np.float32(at[0])
    y = (np.arange(h, dtype=np.float32) + np.float32(0.5)) / h - np.float32(at[1])
    x, y = x - np.round(x), y - np.round(y)
    return (x * np.float32(w / short))[None], (y * np.float32(h / short))[:, None]


def scattered(rng: np.random.Generator, n: int) -> Floats:
    """``n`` places (n, 2) in [0, 1) that keep clear of one another: the best of four candidates each (Mitchell 1991)."""
    out = np.zeros((n, 2), np.float32)
    for k in range(n):
        tries = rng.random((4, 2)).astype(np.float32)
        if k:
            way = tries[:, None] - out[None, max(0, k - 400) : k]
            way -= np.round(way)
            tries = tries[[np.argmax((way**2).sum(-1).min(axis=1))]]
        out[k] = tries[0]
    return out

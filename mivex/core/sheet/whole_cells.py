"""Cells of whole texels: of what could lie in a picture, what most sheets are made of, and what the picture bears out."""

from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.types import Floats

LEAST = 6
"""Texels that a cell has at least."""
LARGEST_GUTTER = 12
"""Texels of a gutter without lines that are looked for."""
PRIOR = {"plain": 0.06, "gutter": 0.0, "margin": -0.02, "parts": -0.06}
"""How much likelier some makes of sheets are; ``parts``: cells that are no whole texels."""
SQUARE = 0.05
"""How much likelier cells are that are squares."""
STEEP, MOST_OFF = 2.0, 0.12
"""What a pitch off the peak of likeness takes off, for each unit of likeness lost, and at most."""
DOUBT = 0.03
"""Where another choice comes as near as this, the guess is not sure."""


@dataclass(frozen=True)
class Axis:
    """Cells along one axis, in texels."""

    count: int
    start: float
    size: float
    gutter: float
    score: float
    lines: bool = False


def correlation(ink: Floats, axis: int) -> NDArray[np.float64]:
    """How alike the picture is to itself shifted by 0, 1, 2 … texels along an axis.

    Parameters
    ----------
    ink : float32 array (height, width, 2)
        What is seen of each texel.
    axis : int
        0 down, 1 across.

    Returns
    -------
    float64 array (texels along the axis,)
        1 where it is the same.
    """
    picture = np.moveaxis(ink, axis, 0).reshape(ink.shape[axis], -1).astype(np.float64)
    n = len(picture)
    # What grows or fades from one end to the other is no likeness.
    t = np.linspace(-1, 1, n)
    basis = np.linalg.qr(np.stack([np.ones(n), t], axis=1))[0]
    picture = picture - basis @ (basis.T @ picture)
    spectrum = np.fft.rfft(picture, 2 * n, axis=0)
    shared = np.fft.irfft((np.abs(spectrum) ** 2).sum(axis=1), 2 * n)[:n]
    # Of the parts that overlap: their own energy, so that a picture that is brighter on one side counts rightly.
    energy = np.concatenate([[0], np.cumsum((picture**2).sum(axis=1))])
    k = np.arange(n)
    both = np.sqrt(np.maximum(energy[n - k] * (energy[n] - energy[k]), 1e-12))
    return np.asarray(shared / both)


def _falls(alike: NDArray[np.float64], pitch: float, count: int) -> float:
    """How much less the picture is like itself some pitches on than beside them, 0 where the pitch is right."""
    fall = []
    for k in range(1, min(count, 5)):
        at = round(k * pitch)
        near = alike[max(at - 2 - k, 1) : min(at + 3 + k, len(alike))]
        if len(near):
            fall.append((float(near.max()) - float(alike[min(at, len(alike) - 1)])) / k)
    return float(np.mean(fall)) if fall else 0.0


def _choices(across: Axis, down: Axis, size: tuple[int, int]) -> list[tuple[Axis, Axis, str]]:
    """Cells of whole texels that fill a picture (width, height): side by side, with a gutter, with a margin too."""
    (w, h), (c, r) = size, (across.count, down.count)
    rows = []
    for g in range(LARGEST_GUTTER + 1):
        for kind, more, start in (("plain", 0, 0.0),) if g == 0 else (("gutter", g, 0.0), ("margin", -g, float(g))):
            if (w + more) % c or (h + more) % r:
                continue
            cw, ch = (w + more) // c - g, (h + more) // r - g
            if cw >= LEAST and ch >= LEAST and g < min(cw, ch) / 2:
                x, y = (replace(a, start=start, size=float(s), gutter=float(g)) for a, s in ((across, cw), (down, ch)))
                rows.append((x, y, kind))
    return rows or [(across, down, "parts")]


def whole_cells(axes: list[list[Axis]], inks: tuple[Floats, Floats]) -> tuple[Axis, Axis, bool]:
    """The cells of both axes together, and whether others fit nearly as well.

    Most sheets are made of whole texels, with one gutter both ways and cells that are square: of the numbers of cells that
    look right these are tried, the pitch is held against that at which the picture is most like itself, and gutters must be
    clear.

    Parameters
    ----------
    axes : list of two lists of Axis
        What could lie across, and down, the best first.
    inks : tuple of two float32 arrays (height, width, 2)
        What is seen of each texel; the first has all columns, the second all rows, the other side may be made smaller.

    Returns
    -------
    tuple of Axis, Axis, bool
    """
    if any(a.lines for r in axes for a in r):
        pairs = ((a, b) for a in axes[0] for b in axes[1])
        across, down = max(pairs, key=lambda p: p[0].score + p[1].score - _oblong(*p))
        return across, down, False
    w, h = inks[0].shape[1], inks[1].shape[0]
    seen = tuple(np.abs(ink).max(axis=2).mean(axis=axis) for ink, axis in zip(inks, (0, 1), strict=True))
    alike = correlation(inks[0], 1), correlation(inks[1], 0)
    rows = []
    for a in axes[0]:
        for b in axes[1]:
            for x, y, kind in _choices(a, b, (w, h)):
                score = a.score + b.score - _oblong(x, y) + PRIOR[kind] + (SQUARE if x.size == y.size else 0.0)
                for one, profile, like in ((x, seen[0], alike[0]), (y, seen[1], alike[1])):
                    if one.count == 1:
                        continue
                    step = one.size + one.gutter
                    score -= min(STEEP * _falls(like, step, one.count), MOST_OFF)
                    if one.gutter:
                        gaps = [one.start + k * step - one.gutter for k in range(1, one.count)]
                        cut = np.concatenate([profile[int(g) : int(g + one.gutter)] for g in gaps])
                        score -= 0.5 * float(cut.mean()) / max(float(profile.mean()), 1e-9)
                rows.append((score, x, y))
    rows.sort(key=lambda r: -r[0])
    best, across, down = rows[0]
    others = [r[0] for r in rows[1:] if abs(r[1].size - across.size) + abs(r[2].size - down.size) >= 1]
    return across, down, bool(others) and best - others[0] < DOUBT


def _oblong(across: Axis, down: Axis) -> float:
    """What is taken off for cells that are no squares."""
    return float(0.04 * abs(np.log2(max(across.size, 1) / max(down.size, 1))))

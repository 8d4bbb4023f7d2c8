"""Where the cells of a sheet lie, found from the picture.

Frames look alike, so the picture meets itself when it is shifted by a cell: its autocorrelation (Wiener 1930, Khinchin
1934) has peaks at whole cells and falls between them. Between frames there is less to be seen, or a drawn line. Both are
weighed together; lines, where they are drawn in even steps, settle it.
"""

from dataclasses import dataclass, replace
from itertools import pairwise

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.types import Floats
from mivex.core.sheet.model import Grid
from mivex.core.sheet.two_grids import TwoGrids, two_grids
from mivex.core.sheet.whole_cells import LEAST, Axis, correlation, whole_cells

MOST_ACROSS = 32
"""Cells looked for on one axis."""
SIDE = 1024
"""Pictures are looked at this large at most."""
ACROSS = 256
"""Texels of the other side by which an axis of a larger picture is told."""
ONE = 0.4
"""What more than one cell along an axis has to reach."""
UNSURE = 0.75
"""Where another choice comes near, the guess is no surer than this."""
LONG = 2.0
"""From here on one side of a cell is so much longer than the other that the guess is not sure."""
FINER = 0.7
"""Share of the score of some cells that several times as many need to be taken instead."""
SEEN = 0.012
"""Change that counts as something to be seen."""


@dataclass(frozen=True)
class Guess:
    """What was found.

    Attributes
    ----------
    grids : tuple of Grid
        One, or several where parts of the picture have their own; empty where there is no sheet to be seen.
    confidence : float
        0 to 1.
    why : str
        What it rests on.
    """

    grids: tuple[Grid, ...]
    confidence: float
    why: str
    lined: bool = False
    """Lines are drawn between its cells."""


def _keyed(values: Floats) -> Floats:
    """The same, where a plain ground is clear: of pictures without alpha whose border is nearly all of one colour."""
    if float(values[..., 3].min()) <= 0.99:
        return values
    rim = np.concatenate([values[0], values[-1], values[:, 0], values[:, -1]])[:, :3]
    ground = np.median(rim, axis=0)
    if (np.abs(rim - ground).max(axis=1) < 0.02).mean() < 0.6:
        return values
    away = np.abs(values[..., :3] - ground).max(axis=2, keepdims=True)
    return np.asarray(np.concatenate([values[..., :3], np.clip(away * 3 - 0.01, 0, 1)], axis=2), np.float32)


def _ink(values: Floats) -> Floats:
    """What is seen of each texel, (height, width, 2): grey by its alpha, and alpha; without alpha, against the border."""
    a = values[..., 3:]
    if float(a.min()) > 0.99:
        rim = np.concatenate([values[0], values[-1], values[:, 0], values[:, -1]])
        ground = np.median(rim[:, :3], axis=0)
        away = np.abs(values[..., :3] - ground).max(axis=2, keepdims=True)
        return np.concatenate([values[..., :3].mean(axis=2, keepdims=True) - ground.mean(), away], axis=2)
    return np.concatenate([values[..., :3].mean(axis=2, keepdims=True) * a, a], axis=2)


def _at(values: NDArray[np.float64], where: NDArray[np.float64], reach: int = 1) -> NDArray[np.float64]:
    """The greatest value about each place."""
    rows = np.clip(np.rint(where).astype(int)[:, None] + np.arange(-reach, reach + 1), 0, len(values) - 1)
    return np.asarray(values[rows].max(axis=1))


def _drawn_lines(values: Floats, axis: int) -> NDArray[np.int64]:
    """Rows or columns that hold one even colour from end to end, unlike both sides of them, and not clear."""
    v = np.moveaxis(values, axis, 0)
    a = v[..., 3]
    premultiplied = v[..., :3] * v[..., 3:]
    middle = np.median(premultiplied, axis=1, keepdims=True)
    even = (np.abs(premultiplied - middle).max(axis=2) < 0.06).mean(axis=1) > 0.96
    solid = (a > 0.2).mean(axis=1) > 0.96
    line = even & solid
    # A thick run of them is ground, not a line.
    out, i, n = [], 0, len(line)
    while i < n:
        j = i
        while j < n and line[j]:
            j += 1
        if 0 < j - i <= max(8, n // 40):
            beside = [k for k in (i - 1, j) if 0 <= k < n]
            if all(float(np.abs(premultiplied[k] - middle[i]).max(axis=1).mean()) > 0.02 for k in beside):
                out.append((i, j))
        i = max(j, i + 1)
    return np.array(out, np.int64).reshape(-1, 2)


def _by_lines(values: Floats, axis: int) -> Axis | None:
    """Cells between drawn lines, where these come in even steps."""
    n = values.shape[axis]
    lines = _drawn_lines(values, axis)
    if not len(lines):
        return None
    edges = [(int(a), int(b)) for a, b in lines]
    if edges[0][0] > LEAST:
        edges.insert(0, (0, 0))
    if edges[-1][1] < n - LEAST:
        edges.append((n, n))
    sizes = np.array([b[0] - a[1] for a, b in pairwise(edges)])
    if len(sizes) < 1 or sizes.min() < LEAST or len(sizes) > MOST_ACROSS or np.ptp(sizes) > max(2, 0.04 * sizes.mean()):
        return None
    inner = [b - a for a, b in edges[1:-1]]
    gutter = float(np.median(inner)) if inner else 0.0
    start = float(edges[0][1])
    size = (edges[-1][0] - start - gutter * (len(sizes) - 1)) / len(sizes)
    return Axis(len(sizes), start, size, gutter, 0.95, lines=True)


def _by_likeness(ink: Floats, axis: int) -> list[Axis]:
    """Numbers of cells along an axis that fit, the best first."""
    n = ink.shape[axis]
    alike = correlation(ink, axis)
    strength = np.moveaxis(np.abs(ink).max(axis=2), axis, 0)
    there = strength.mean(axis=1)
    mean = max(float(there.mean()), 1e-9)
    rows = [Axis(1, 0.0, float(n), 0.0, ONE)]
    for count in range(2, min(MOST_ACROSS, n // LEAST) + 1):
        size = n / count
        k = np.arange(1, min(count, 5))
        whole = _at(alike, k * size).mean()
        between = _at(alike, (k - 0.5) * size, 0).mean()
        # On the lines there is less to be seen than in the cells, as far as frames keep off their border.
        cuts = np.arange(1, count) * size
        low = np.minimum(_least(there, cuts), mean)
        score = 0.62 * (whole - between) + 0.2 * whole + 0.38 * (1 - low.mean() / mean)
        rows.append(Axis(count, 0.0, size, 0.0, float(score)))
    # What repeats after some cells repeats after as many times their number: then the smaller cells are meant.
    scores = {r.count: r.score for r in rows}
    finer = {r.count for r in rows if any(scores.get(r.count * q, 0.0) > FINER * r.score for q in (2, 3, 4, 5, 6))}
    rows = [replace(r, score=r.score - 0.5) if r.count > 1 and r.count in finer else r for r in rows]
    return sorted(rows, key=lambda r: -r.score)


def _least(there: NDArray[np.floating], cuts: NDArray[np.float64]) -> NDArray[np.float64]:
    """The least that is seen beside each cut."""
    at = np.clip(np.rint(cuts).astype(int)[:, None] + np.arange(-1, 1), 0, len(there) - 1)
    return np.asarray(there[at].min(axis=1), np.float64)


def _unused(values: Floats, grid: Grid, scale: float) -> Grid:
    """The grid, knowing which of its cells hold nothing; empty ones at the end are no frames."""
    ink = np.abs(_ink(values)).max(axis=2)
    h, w = ink.shape
    cw, ch = grid.size(round(w / scale), round(h / scale))
    empty = []
    for k in range(grid.columns * grid.rows):
        x = (grid.left + (k % grid.columns) * (cw + grid.gutter)) * scale
        y = (grid.top + (k // grid.columns) * (ch + grid.gutter)) * scale
        cell = ink[round(y) : max(round(y) + 1, round(y + ch * scale)), round(x) : max(round(x) + 1, round(x + cw * scale))]
        if not cell.size or float(cell.max()) < SEEN * 2 or np.ptp(cell) < SEEN:
            empty.append(k)
    last = grid.columns * grid.rows
    while last > 1 and last - 1 in empty:
        last -= 1
    whole = last == grid.columns * grid.rows
    return _with(grid, count=0 if whole else last, unused=tuple(k for k in empty if k < last))


def _with(grid: Grid, **values: object) -> Grid:
    """A grid with some of its settings replaced."""
    return grid.model_copy(update=values)


def _smaller(values: Floats, width: int, height: int) -> Floats:
    """A picture of at most that size, texels averaged over what they cover."""
    import cv2

    h, w = values.shape[:2]
    size = min(width, w), min(height, h)
    return values if size == (w, h) else np.asarray(cv2.resize(values, size, interpolation=cv2.INTER_AREA), np.float32)


def _single(values: Floats, scale: float, large: Floats) -> Guess:
    """One grid for a picture that was made smaller by ``scale`` (``large``: as it was, to find its texels by)."""
    ink = _ink(values)
    axes, words = [], []
    for axis in (1, 0):
        lined = _by_lines(values, axis)
        if lined is not None:
            axes.append([lined])
            words.append("drawn lines")
        else:
            axes.append(_by_likeness(ink, axis)[:4])
            words.append("frames that look alike")
    inks, unit = (ink, ink), scale
    if scale < 1 and not any(a.lines for r in axes for a in r):
        # How many there are is seen in the smaller picture; where they lie, in the texels of the whole one.
        wide, tall = _smaller(large, large.shape[1], ACROSS), _smaller(large, ACROSS, large.shape[0])
        inks, unit = (_ink(wide), _ink(tall)), 1.0
        axes = [[replace(a, size=a.size / scale) for a in r] for r in axes]
    across, down, close = whole_cells(axes, inks)
    if across.count * down.count == 1:
        return Guess((), 1 - max(a.score for r in axes for a in r), "It looks like one picture.")
    gutter = max(across.gutter, down.gutter) / unit
    grid = Grid(
        columns=across.count,
        rows=down.count,
        left=round(across.start / unit, 2),
        top=round(down.start / unit, 2),
        gutter=round(gutter, 2),
    )
    if across.lines or down.lines or gutter:
        grid = _with(grid, width=round(across.size / unit, 2), height=round(down.size / unit, 2))
    score = [a.score for a in (across, down) if a.count > 1]
    found = _unused(values, grid, scale)
    used = (found.count or found.columns * found.rows) - len(found.unused)
    if used < max(2, found.columns * found.rows / 2):
        return Guess((), 1 - max(score), "Most of the cells that it might have are empty.")
    sure = float(np.clip(np.mean(score), 0, 1))
    told = " and ".join(dict.fromkeys(words))
    by_lines = across.lines or down.lines
    # Cells so long are rare, and are mostly several frames whose borders were not seen.
    long = not by_lines and max(across.size, down.size) >= LONG * min(across.size, down.size)
    return Guess((found,), min(sure, UNSURE) if close or long else sure, told, by_lines)


def guess(values: Floats) -> Guess:
    """Find the grid, or the grids, of a sheet.

    Parameters
    ----------
    values : float32 array (height, width, 4)
        Straight RGBA as stored.

    Returns
    -------
    Guess
    """
    h, w = values.shape[:2]
    if min(h, w) < 2 * LEAST:
        return Guess((), 1.0, "It is too small for a sheet.")
    values = _keyed(values)
    scale = min(1.0, SIDE / max(h, w))
    small = _smaller(values, round(w * scale), round(h * scale))
    whole = _single(small, scale, values)
    if whole.lined:
        return whole
    pair = two_grids(_ink(values))
    return whole if pair is None else _paired(values, pair)


def _paired(values: Floats, pair: TwoGrids) -> Guess:
    """Two grids as a guess: their cells are said in texels, since neither fills the picture."""
    h, w = values.shape[:2]
    if pair.axis == 0:
        parts = (0, 0, w, pair.cut, pair.first), (0, pair.cut, w, h - pair.cut, pair.second)
    else:
        parts = (0, 0, pair.cut, h, pair.first), (pair.cut, 0, w - pair.cut, h, pair.second)
    rows = [
        _unused(
            values,
            Grid(columns=wide // n, rows=high // m, left=float(x), top=float(y), width=float(n), height=float(m)),
            1.0,
        )
        for x, y, wide, high, (n, m) in parts
    ]
    sure = float(np.clip(UNSURE + (pair.fit - 0.6) / 4 + pair.lead / 2, 0.4, 0.98))
    return Guess(tuple(rows), sure, "frames that look alike; parts of it differ")

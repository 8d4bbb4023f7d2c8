"""Sheets that play, drawn by chance: as they should be, or with one fault planted; the truth stands beside each."""

import math
from itertools import pairwise

import cv2
import numpy as np


def _grid(n):
    y, x = np.mgrid[:n, :n] + 0.5
    return (x / n - 0.5) * 2, (y / n - 0.5) * 2


def _noise(rng, n, cells):
    return cv2.resize(rng.random((cells, cells)), (n, n), interpolation=cv2.INTER_CUBIC)


def _rgba(alpha, colour):
    a = np.clip(alpha, 0, 1)
    return np.dstack([np.broadcast_to(colour, (*a.shape, 3)), a]).astype(np.float32)


def puff(rng, n, count, colour):
    """Smoke that swells, turns and thins out; once."""
    x, y = _grid(n)
    noise, wide = _noise(rng, 2 * n, 9), rng.uniform(0.25, 0.5)
    drift, fade = rng.uniform(-0.6, 0.6, 2), rng.uniform(0.8, 1.6)
    out = []
    for t in np.linspace(0, 1, count):
        k = noise[int((0.5 + 0.2 * drift[0] * t) * n) :, int((0.5 + 0.2 * drift[1] * t) * n) :][:n, :n]
        out.append(_rgba((wide * (0.5 + t) + 0.5 * (k - 0.5) - np.hypot(x, y)) * 3 * (1 - t) ** fade, colour))
    return "once", out


def burst(rng, n, count, colour):
    """An explosion: quick at first, then slow; once."""
    x, y = _grid(n)
    noise = _noise(rng, n, 12)
    out = []
    for t in np.linspace(0, 1, count):
        r = 0.15 + 0.65 * (1 - math.exp(-4 * t))
        out.append(_rgba((r + 0.4 * (noise - 0.5) - np.hypot(x, y)) * 5 * math.exp(-2.5 * t), colour))
    return "once", out


def spin(rng, n, count, colour):
    """A blade that turns; it loops."""
    x, y = _grid(n)
    long, thin = rng.uniform(0.5, 0.85), rng.uniform(0.08, 0.25)
    arms = int(rng.integers(1, 4))
    out = []
    for k in range(count):
        a = 0
        for arm in range(arms):
            turn = 2 * math.pi * (k / count + arm) / arms if arms > 1 else math.pi * k / count
            u, v = x * math.cos(turn) + y * math.sin(turn), y * math.cos(turn) - x * math.sin(turn)
            a = np.maximum(a, np.clip((long - np.abs(u)) * n / 3, 0, 1) * np.clip((thin - np.abs(v)) * n / 3, 0, 1))
        out.append(_rgba(a, colour))
    return "loop", out


def pulse(rng, n, count, colour):
    """A glow that swells and shrinks; it loops."""
    x, y = _grid(n)
    size, much = rng.uniform(0.1, 0.4), rng.uniform(0.1, 0.3)
    waves = [math.sin(2 * math.pi * (k / count + 0.1)) for k in range(count)]
    return "loop", [_rgba(1.4 * np.exp(-(x**2 + y**2) / (2 * (size * (1 + much * w)) ** 2)) - 0.05, colour) for w in waves]


def flame(rng, n, count, colour):
    """A flame that licks along a closed path through noise; it loops."""
    x, y = _grid(n)
    noise = _noise(rng, 3 * n, 24)
    out = []
    for k in range(count):
        a = 2 * math.pi * k / count
        cut = noise[int(n * (1 + 0.25 * math.cos(a))) :, int(n * (1 + 0.25 * math.sin(a))) :][:n, :n]
        up = np.clip((0.9 - y) / 1.7, 0, 1)
        out.append(_rgba((0.35 * np.sqrt(1 - up) - np.abs(x + 0.5 * (cut - 0.5) * up)) * 8 * (up > 0), colour))
    return "loop", out


def boil(rng, n, count, colour):
    """Another noise in every frame: no frame follows from the one before; it loops."""
    x, y = _grid(n)
    return "loop", [_rgba((0.7 - np.hypot(x, y)) * 3 * (0.3 + _noise(rng, n, 7)), colour) for _ in range(count)]


def sway(rng, n, count, colour):
    """A blade of weed that bends to and fro; it loops."""
    x, y = _grid(n)
    bend, thin = rng.uniform(0.15, 0.5), rng.uniform(0.05, 0.15)
    out = []
    for k in range(count):
        up = np.clip((0.9 - y) / 1.7, 0, 1)
        a = np.clip((thin - np.abs(x - bend * up**2 * math.sin(2 * math.pi * k / count))) * n / 2, 0, 1)
        out.append(_rgba(a * (y < 0.9), colour))
    return "loop", out


def ring(rng, n, count, colour):
    """A ripple that goes outwards and fades; once."""
    x, y = _grid(n)
    r = np.hypot(x, y)
    wide = rng.uniform(0.05, 0.12)
    return "once", [
        _rgba(np.exp(-(((r - 0.1 - 0.7 * t) / wide) ** 2)) * (1 - t) ** 0.7, colour) for t in np.linspace(0, 1, count)
    ]


def dissolve(rng, n, count, colour):
    """A shape eaten away by noise; once."""
    x, y = _grid(n)
    noise, shape = _noise(rng, n, 10), np.clip((0.75 - np.maximum(np.abs(x), np.abs(y))) * n / 2, 0, 1)
    return "once", [_rgba(shape * np.clip((noise - 1.1 * t) * 8, 0, 1), colour) for t in np.linspace(0, 0.85, count)]


def orbit(rng, n, count, colour):
    """A mote that goes round; it loops."""
    x, y = _grid(n)
    r, size = rng.uniform(0.15, 0.55), rng.uniform(0.08, 0.2)
    out = []
    for k in range(count):
        a = 2 * math.pi * k / count
        out.append(_rgba(np.exp(-((x - r * math.cos(a)) ** 2 + (y - r * math.sin(a)) ** 2) / (2 * size**2)) * 1.2, colour))
    return "loop", out


def sparkle(rng, n, count, colour):
    """A star that flashes up and goes out, quickest in the middle; once."""
    x, y = _grid(n)
    out = []
    for t in np.linspace(0, 1, count):
        s = 0.1 + 0.9 * math.sin(math.pi * t) ** 2
        star = np.maximum(
            np.exp(-np.abs(x) * 18 / s) * np.exp(-np.abs(y) * 3 / s),
            np.exp(-np.abs(y) * 18 / s) * np.exp(-np.abs(x) * 3 / s),
        )
        out.append(_rgba(star * s * 1.5, colour))
    return "once", out


def walk(rng, n, count, colour):
    """A figure that walks on the spot; it loops."""
    out = []
    for k in range(count):
        m = np.zeros((4 * n, 4 * n), np.uint8)
        d = 0.7 * n * math.sin(2 * math.pi * k / count)
        at = lambda a, b: (int(2 * n + a), int(4 * n * b))  # noqa: E731
        cv2.circle(m, at(0, 0.22), n // 3, 255, -1)
        cv2.line(m, at(0, 0.3), at(0, 0.6), 255, n // 4)
        for q in (1, -1):
            cv2.line(m, at(0, 0.58), at(q * d, 0.9), 255, n // 5)
            cv2.line(m, at(0, 0.38), at(-q * d, 0.58), 255, n // 6)
        out.append(_rgba(cv2.resize(m, (n, n), interpolation=cv2.INTER_AREA) / 255, colour))
    return "loop", out


MAKES = (puff, burst, spin, pulse, flame, boil, sway, ring, dissolve, orbit, sparkle, walk)
FAULTS = ("swapped far", "swapped near", "line", "leap", "missing", "no loop")


def _shown(frame):
    """Alpha, and colour times alpha, of a frame."""
    return np.dstack([frame[..., 3:], frame[..., :3].mean(axis=2, keepdims=True) * frame[..., 3:]])


def _apart(a, b):
    return float(np.abs(_shown(a) - _shown(b)).sum())


def plays(rng, make, fault=""):
    """A sheet's frames (n, n, 4) of one make, how it plays, and the finding that is due; None where the fault makes none.

    A fault that cannot be told from what the make does anyway is none: another order of frames that do not follow one
    another, frames missing where none follows, a loop cut short where it ends as it begins.
    """
    n, count = int(rng.integers(32, 72)), int(rng.integers(9, 33))
    colour = (rng.uniform(0, 1, 3), rng.uniform(0.03, 0.25, 3), np.ones(3))[rng.integers(3)]
    how, frames = make(rng, n, count, colour)
    if fault and make is boil and fault not in ("line",):
        return None
    last = count - 1
    mass = max(float(_shown(f).sum()) for f in frames)
    usual = float(np.median([_apart(a, b) for a, b in pairwise(frames)]))
    if fault == "swapped far":
        a = int(rng.integers(1, count // 2))
        b = int(min(a + rng.integers(max(2, count // 4), max(3, count // 2)), last - 1))
        frames[a], frames[b] = frames[b], frames[a]
        if b - a < 2 or _apart(frames[a], frames[b]) < max(0.1 * mass, 2 * usual):
            return None
    elif fault == "swapped near":
        a = int(rng.integers(2, count - 3))
        step = _apart(frames[a], frames[a + 1])
        frames[a], frames[a + 1] = frames[a + 1], frames[a]
        if step < max(0.05 * mass, 0.5 * usual):
            return None
    elif fault == "line":
        a = int(rng.integers(1, last))
        y = int(rng.uniform(0.3, 0.7) * n)
        drawn = frames[a].copy()
        drawn[y : y + max(2, n // 24), n // 8 : -n // 8] = 1
        # Over what is as bright and as solid it is not seen; where each frame is another anyway, it is one change of many.
        if _apart(drawn, frames[a]) < max(0.04 * mass, 0.3 * usual):
            return None
        frames[a] = drawn
    elif fault == "leap":
        a = int(rng.integers(1, last))
        move = np.float32([[1, 0, 0.25 * n], [0, 1, -0.2 * n]])
        frames[a] = cv2.warpAffine(frames[a], move, (n, n))
        if _shown(frames[a]).sum() < 0.15 * mass:
            return None
    elif fault == "missing":
        k = max(3, count // 4)
        a = int(rng.integers(2, count - k - 2)) if count - k - 2 > 2 else 0
        # Where frames follow at great strides some that are missing are one stride more.
        if not a or _apart(frames[a - 1], frames[a + k]) < max(0.3 * mass, 3.5 * usual):
            return None
        frames = frames[:a] + frames[a + k :]
    elif fault == "no loop":
        frames = frames[: int(count * 0.65)] if how == "loop" else frames
        how = "loop"
        if _apart(frames[0], frames[-1]) < max(0.25 * mass, 3 * usual):
            return None
    return frames, how, {"": "", "no loop": "sheet-loop"}.get(fault, "sheet-jump")


def _laid(frames, columns):
    """Frames side by side, row upon row."""
    n = frames[0].shape[0]
    out = np.zeros((-(-len(frames) // columns) * n, columns * n, 4), np.float32)
    for k, f in enumerate(frames):
        out[k // columns * n :, k % columns * n :][:n, :n] = f
    return out


def _run(rng, n, count):
    make = MAKES[int(rng.integers(len(MAKES)))]
    return make(rng, n, count, tuple(rng.uniform(0.3, 1, 3)))[1]


def two_grids(rng):
    """Two grids of one width, or of one height, of 1 to 3 rows each; the picture, and where its cells lie."""
    while True:
        a, b = (int(v) for v in rng.integers(2, 9, 2))
        w = math.lcm(a, b) * int(rng.integers(1, 1 + max(1, 300 // math.lcm(a, b))))
        if a != b and all(20 <= w // n <= 90 for n in (a, b)):
            break
    k, m = (int(v) for v in rng.integers(1, 4, 2))
    p, q = w // a, w // b
    picture = np.concatenate([_laid(_run(rng, p, a * k), a), _laid(_run(rng, q, b * m), b)])
    cells = [(i % a * p, i // a * p, p) for i in range(a * k)] + [(i % b * q, k * p + i // b * q, q) for i in range(b * m)]
    if rng.random() < 0.5:
        return picture.transpose(1, 0, 2), [(y, x, n) for x, y, n in cells]
    return picture, cells


def one_grid(rng):
    """A grid of square cells; the picture, and where its cells lie."""
    columns, rows, n = int(rng.integers(2, 9)), int(rng.integers(1, 7)), int(rng.integers(20, 80))
    picture = _laid(_run(rng, n, columns * rows), columns)
    return picture, [(i % columns * n, i // columns * n, n) for i in range(columns * rows)]

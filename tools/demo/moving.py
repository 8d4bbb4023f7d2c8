"""Pictures of the demo's moving overlays: sheets of bubbles, silt, a flame, sparks, an arc; and their faulty twins."""

import numpy as np

from mivex.core.base.types import Floats
from mivex.core.pixels.shapes import grid, noise
from tools.demo.drawn import save


def _bubble(n: int, seed: int, size: float) -> tuple[Floats, Floats]:
    """One bubble: a bright rim, a glint, squeezed a little as it wobbles."""
    rng = np.random.default_rng(seed)
    y, x = grid(n, n)
    c, turn = n / 2, rng.uniform(0, np.pi)
    u = ((x - c) * np.cos(turn) + (y - c) * np.sin(turn)) * (1 + rng.uniform(0.0, 0.12))
    v = (-(x - c) * np.sin(turn) + (y - c) * np.cos(turn)) * (1 - rng.uniform(0.0, 0.06))
    rho = np.hypot(u, v) / (size * n / 2)
    rim = np.exp(-(((rho - 0.9) / 0.09) ** 2))
    inside = np.clip((1.02 - rho) * n / 6, 0, 1)
    gx, gy = -0.38 + rng.uniform(-0.1, 0.1), -0.42 + rng.uniform(-0.08, 0.08)
    glint = np.exp(-(((x - c) / (n / 2) / size - gx) ** 2 + ((y - c) / (n / 2) / size - gy) ** 2) / 0.012)
    alpha = np.clip(0.08 + 0.75 * rim + 0.9 * glint, 0, 0.95) * inside
    rgb = np.array((0.66, 0.82, 0.84)) + np.clip(glint + 0.4 * rim, 0, 1)[..., None] * np.array((0.3, 0.18, 0.16))
    return rgb, alpha


def bubble_sheets() -> None:
    """Sixteen bubbles, four by four, each well inside its cell; and a twin that fills its cells to the border."""
    n = 64
    for name, sizes, fill in (("bubble_sheet.png", (0.55, 0.8), 0.0), ("bubble_sheet_tight.png", (1.02, 1.12), 0.35)):
        rgb, alpha = np.zeros((4 * n, 4 * n, 3)), np.zeros((4 * n, 4 * n))
        for k in range(16):
            size = sizes[0] + (sizes[1] - sizes[0]) * ((k * 7) % 16) / 15
            part, a = _bubble(n, 300 + k, size)
            y, x = k // 4 * n, k % 4 * n
            rgb[y : y + n, x : x + n], alpha[y : y + n, x : x + n] = part, np.clip(a + fill * (a > 0.02), 0, 1)
        save(name, rgb, alpha)


def silt_puff() -> None:
    """A soft grey puff whose alpha rises evenly to the middle, so that it wears away softly."""
    n = 256
    y, x = grid(n, n)
    rho = np.hypot(y - n / 2, x - n / 2) / (n / 2)
    billow = noise(n, n, 88, 321, 5)
    alpha = np.clip((0.9 - rho) * 1.35 - (0.5 - billow) * 1.1, 0, 1) * np.clip((0.96 - rho) * 5, 0, 1)
    grey = 0.72 + 0.22 * noise(n, n, 60, 322)
    save("silt_puff.png", np.repeat(grey[..., None], 3, axis=2), alpha)


def pilot_flame() -> None:
    """A flame that stands on its foot, blue below and yellow above."""
    h, w = 256, 128
    y, x = grid(h, w)
    up = 1 - (y + 0.5) / h
    wide = 0.30 * np.sqrt(np.clip(up * 9, 0, 1)) * (1 - up) ** 0.8 + 0.02
    across = np.abs((x + 0.5) / w - 0.5)
    body = np.clip((wide - across) / (0.10 + 0.10 * up), 0, 1)
    alpha = body * np.clip((0.97 - up) * 5, 0, 1) * np.clip((up - 0.012) * 60, 0, 1)
    heat = np.clip(body * 1.3 - up * 0.25, 0, 1)[..., None]
    low = np.clip(1 - up * 5, 0, 1)[..., None]
    rgb = np.array((1.0, 0.42, 0.08)) * (1 - heat) + np.array((1.0, 0.86, 0.55)) * heat
    rgb = rgb * (1 - low) + np.array((0.25, 0.45, 1.0)) * low
    save("pilot_flame.png", rgb, alpha)


def spark_and_arc() -> None:
    """A spark: a long bright grain. An arc: a ragged white star."""
    n = 32
    y, x = grid(n, n)
    rho = np.hypot((x + 0.5 - n / 2) / (n * 0.34), (y + 0.5 - n / 2) / (n * 0.44))
    save("spark.png", np.ones((n, n, 3)), np.clip(1.1 - rho, 0, 1) ** 1.5)
    n = 256
    y, x = grid(n, n)
    turn, rho = np.arctan2(y - n / 2, x - n / 2), np.hypot(y - n / 2, x - n / 2) / (n / 2)
    ray = np.zeros((n, n))
    rng = np.random.default_rng(331)
    for _ in range(22):
        at, width, far = rng.uniform(-np.pi, np.pi), rng.uniform(0.02, 0.09), rng.uniform(0.25, 0.8)
        off = np.abs((turn - at + np.pi) % (2 * np.pi) - np.pi)
        ray = np.maximum(ray, np.exp(-((off / width) ** 2)) * np.clip(1 - rho / far, 0, 1))
    core = np.exp(-((rho / 0.16) ** 2))
    alpha = np.clip(ray * 0.9 + core + 0.35 * np.exp(-((rho / 0.4) ** 2)), 0, 1) * np.clip((0.94 - rho) * 6, 0, 1)
    rgb = np.array((0.62, 0.78, 1.0)) + np.clip(core + ray * 0.6, 0, 1)[..., None] * np.array((0.38, 0.22, 0.0))
    save("arc_flash.png", rgb, alpha)


def jellyfish() -> None:
    """A jellyfish that swims on the spot, eight frames, four by two: few, so that motion between them is needed."""
    n, frames = 128, 8
    y, x = (v / n for v in grid(n, n))
    rgb, alpha = np.zeros((2 * n, 4 * n, 3)), np.zeros((2 * n, 4 * n))
    for k in range(frames):
        phase = 2 * np.pi * k / frames
        wide, high = 0.25 + 0.045 * np.cos(phase), 0.24 - 0.04 * np.cos(phase)
        foot = 0.42 + 0.03 * np.sin(phase)
        rho = np.hypot((x - 0.5) / wide, (y - foot) / np.where(y < foot, high, 0.05))
        bell = np.clip((1 - rho) * 9, 0, 1)
        rim = np.exp(-(((rho - 0.92) / 0.10) ** 2)) * bell
        ribs = 0.5 + 0.5 * np.cos((x - 0.5) / wide * 15)
        arms = np.zeros((n, n))
        for row in range(7):
            down = np.clip((y - foot) / (0.34 + 0.05 * (row % 3)), 0, 1)
            sway = 0.030 * np.sin(6.0 * down - phase + row) * down
            at = 0.5 + (row - 3) / 3.6 * wide * (1 - 0.25 * down) + sway
            thread = np.exp(-(((x - at) / (0.013 - 0.007 * down)) ** 2)) * (1 - down) ** 0.7
            arms = np.maximum(arms, thread * (y > foot - 0.01) * (down < 1))
        body = bell * (0.34 + 0.14 * ribs) + 0.42 * rim
        whole = np.clip(np.maximum(body, 0.62 * arms), 0, 0.95)
        light = np.clip(rim + 0.35 * bell * ribs, 0, 1)[..., None]
        colour = np.array((0.50, 0.44, 0.78)) + light * np.array((0.36, 0.34, 0.20))
        top, left = k // 4 * n, k % 4 * n
        rgb[top : top + n, left : left + n], alpha[top : top + n, left : left + n] = colour, whole
    save("jellyfish.png", rgb, alpha)


def draw() -> None:
    """Draw them all."""
    jellyfish()
    bubble_sheets()
    silt_puff()
    pilot_flame()
    spark_and_arc()

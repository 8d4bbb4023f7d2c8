"""(g) `mivex check` of 200 pictures of many kinds, and the memory that one of 4 megapixels takes."""

import os
import resource
import subprocess
import sys
import tempfile
import time
from pathlib import Path

import cv2
import numpy as np

from benchmarks.timing import line
from mivex.core.picture.encode import write_picture
from mivex.core.picture.files import read_picture


def draw(seed: int, side: int) -> np.ndarray:
    """A soft shape with grain; its kind of fault follows from the seed."""
    rng = np.random.default_rng(seed)
    y, x = (np.mgrid[:side, :side] + 0.5) / side - 0.5
    alpha = np.clip((0.45 - np.hypot(y, x)) / rng.uniform(0.02, 0.4), 0, 1)
    grain = cv2.resize(rng.random((16, 16, 3)), (side, side), interpolation=cv2.INTER_CUBIC)
    rgb = np.clip(rng.random(3) * (0.8 + 0.4 * grain), 0, 1)
    kind = seed % 5
    if kind == 1:
        rgb = np.where((alpha > 0)[..., None], rgb, 0)
    elif kind == 2:
        rgb = rgb * alpha[..., None]
    elif kind == 3:
        alpha = np.ones_like(alpha)
    return np.dstack([rgb, alpha]).astype(np.float32)


def plain(paths: list[str]) -> None:
    """The baseline: read every picture and halve it down to one texel with OpenCV, straight and premultiplied."""
    for path in paths:
        values = read_picture(path).values
        for start in (values, values * values[..., 3:]):
            level = start
            while min(level.shape[:2]) > 1:
                level = cv2.resize(level, (level.shape[1] // 2, level.shape[0] // 2), interpolation=cv2.INTER_AREA)


def run(*paths: str) -> tuple[float, float]:
    """Seconds and peak megabytes of the command as a whole process and its children."""
    start = time.perf_counter()
    child = subprocess.Popen([sys.executable, "-m", "mivex", "check", *paths], stdout=subprocess.DEVNULL)
    _, _, used = os.wait4(child.pid, 0)
    return time.perf_counter() - start, used.ru_maxrss / 1024


def main() -> None:
    """Measure."""
    folder = Path(tempfile.mkdtemp(prefix="mivex-bench-"))
    sides = [64, 128, 256, 512, 1024]
    paths = []
    for i in range(200):
        path = folder / f"p{i:03}.png"
        write_picture(path, draw(i, sides[i // 2 % 5]), 8)
        paths.append(str(path))
    texels = sum(sides[i // 2 % 5] ** 2 for i in range(200)) / 1e6
    run(paths[0])
    start, empty = run(paths[0])
    took, _ = run(*paths)
    begun = time.perf_counter()
    plain(paths)
    base = time.perf_counter() - begun
    line(
        f"200 pictures, {texels:.0f} megapixels, start left out",
        (took - start) * 1e3,
        "reading them and halving each twice with OpenCV, one process",
        base * 1e3,
        "–",
    )
    print(f"  {1e3 * (took - start) / texels:.0f} ms a megapixel; a start takes {start:.2f} s")
    big = folder / "big.png"
    write_picture(big, draw(2, 2048), 8)
    _, peak = run(str(big))
    size = 2048 * 2048 * 16 / 1e6
    print(
        f"  peak above the start, 2048 square: {(peak - empty) * 1.048576 / size:.1f} times the picture's float size "
        f"(aim 5; {resource.getpagesize()} byte pages)"
    )


if __name__ == "__main__":
    main()

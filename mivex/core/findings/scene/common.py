"""Where a finding of the scene is, and from how many pixels on it counts."""

from mivex.core.findings.finding import Pixel
from mivex.core.findings.seen import SIZE, VisibleDraws

LEAST = 12
"""Pixels of the small picture below which nothing is said: a fault of fewer is a rim."""


TOTAL = SIZE[0] * SIZE[1]


def pixel_of(shown: VisibleDraws, at: int) -> Pixel:
    """A pixel by its number, as a place."""
    y, x = divmod(int(at), SIZE[0])
    return Pixel(shown.camera.name, (x + 0.5) / SIZE[0], (y + 0.5) / SIZE[1])

"""Where everything on the test card lies, in metres from its top left corner, right and down.

The card is a black board of 1.6 by 1 metres. Markers stand at its left and right border, eight columns and five rows of
cells between them. What a patch is drawn with is in `mivex.core.card.patches`; what is concluded from it in
`mivex.core.card.questions`.
"""

import tomllib
from dataclasses import dataclass
from importlib.resources import files

WIDTH, HEIGHT = 1.6, 1.0
"""Size of the card."""
MARKER = 0.15
"""Side of a marker with its white border; the black square takes six eighths of it."""
MARKERS: dict[int, tuple[float, float]] = {
    0: (0.02, 0.03),
    1: (1.43, 0.03),
    2: (0.02, 0.425),
    3: (1.43, 0.425),
    4: (0.02, 0.82),
    5: (1.43, 0.82),
}
"""Left and top of every marker, by its number."""
CELL, DOWN, PATCH = 0.15, 0.186, 0.124
"""Distance of cells across and down; side of a patch."""
LEFT, TOP = 0.2, 0.035

TINTS: tuple[float, ...] = (0.0, 0.25, 0.45, 0.65, 0.85, 1.0)
"""Display values of the greys that are numbers and no texture: what the receiver's view does to a known colour."""
BANDS: tuple[float, ...] = (64 / 255, 128 / 255, 192 / 255)
"""Display values of the greys that a texture holds."""
HALF = 128 / 255
"""Alpha of what is half there, as 8 bits hold it."""
SIDES: tuple[int, ...] = (8192, 4096, 2048, 1024, 512, 256, 128)
"""Longest sides that the card can tell from one another."""
STRIPES = 6
"""Stripes of a patch that asks for size."""

_WORDS = tomllib.loads((files("mivex.core") / "assets" / "card" / "words.toml").read_text(encoding="utf-8"))
STEPS: list[str] = _WORDS["steps"]
"""What to do with the card."""
CELLS: dict[str, str] = _WORDS["captions"]
"""Caption of every cell, by its name, in the order in which they fill the card."""
COLUMNS = 8
TITLE: str = _WORDS["title"]
TITLE_AT = (1.0, 0.84)


@dataclass(frozen=True)
class Rect:
    """A rectangle on the card, metres."""

    x: float
    y: float
    width: float
    height: float

    def spot(self, u: float, v: float, share: float) -> tuple[float, float, float, float]:
        """Middle, and half its size, of a part of it: ``u``, ``v`` where, ``share`` how much of its width and height."""
        return self.x + u * self.width, self.y + v * self.height, self.width * share / 2, self.height * share / 2


def cell(name: str) -> Rect:
    """Where the patch of a cell lies."""
    number = list(CELLS).index(name)
    column, row = number % COLUMNS, number // COLUMNS
    return Rect(LEFT + column * CELL + (CELL - PATCH) / 2, TOP + row * DOWN, PATCH, PATCH)

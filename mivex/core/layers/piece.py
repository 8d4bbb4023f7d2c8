"""A piece of a stack's canvas, worked out by itself: the part of a large picture that is on the screen.

Everything that a row does to a texel from that texel alone is done for the piece only. What looks further (a blurred mask,
heights turned into slopes, a picture that is tiled) would need more than the piece, and is refused with `NotAtHand`.
"""

from collections.abc import Callable, Sequence

import numpy as np

from mivex.core.base.types import Floats
from mivex.core.layers.masks import Below, LayerInputs, Values
from mivex.core.layers.model import ChannelSource, MaskPart, Row, Shaping, Stack, UvTransform
from mivex.core.layers.painting import Paint
from mivex.core.layers.patterns.base import PatternParams
from mivex.core.layers.ribbons import Box
from mivex.core.layers.strokes import PaintStroke
from mivex.core.prepare.base import Surface

_PLAIN = UvTransform()


class NotAtHand(Exception):
    """A piece depends on more of the canvas than itself."""


def cut(values: Floats, box: Box) -> Floats:
    """The piece of an array that a box holds; what is the same everywhere stays one texel."""
    if values.shape[0] == 1 and values.shape[1] == 1:
        return values
    return np.ascontiguousarray(values[box[0] : box[1], box[2] : box[3]])


def cut_surface(surface: Surface, box: Box) -> Surface:
    """The piece of a surface that a box holds, all its channels too."""
    channels = {k: cut(v, box) for k, v in surface.channels.items()}
    return surface.but(values=cut(surface.values, box), channels=channels)


def _inputs(whole: LayerInputs, box: Box) -> LayerInputs:
    """What a piece needs from outside: pieces of what the whole canvas would get."""

    def same(shape: tuple[int, ...]) -> None:
        # Of another size it would be resized to the canvas first, and that for every piece anew.
        if tuple(shape[:2]) != whole.size:
            raise NotAtHand

    def picture(path: str) -> Floats:
        values = whole.picture(path)
        same(values.shape)
        return cut(values, box)

    def overlay(key: str) -> Surface:
        found = whole.overlay(key)
        same(found.values.shape)
        return cut_surface(found, box)

    def piece_of(make: Callable[..., Floats] | None) -> Callable[..., Floats] | None:
        return None if make is None else lambda *given: cut(make(*given), box)

    return LayerInputs(
        (box[1] - box[0], box[3] - box[2]),
        picture,
        overlay,
        piece_of(whole.geometry),
        piece_of(whole.region),
        None,
        piece_of(whole.space),
        whole.mark,
        lambda _key, make: make(),  # what is kept is kept for the whole canvas, under the same keys
        whole.linear,
    )


class PieceValues(Values):
    """Masks and values of a piece; what is drawn over the whole canvas is kept there and cut here.

    Parameters
    ----------
    stack : Stack
    outside : LayerInputs
        Of the whole canvas.
    box : Box
    """

    def __init__(self, stack: Stack, outside: LayerInputs, box: Box) -> None:
        super().__init__(stack, _inputs(outside, box))
        self.whole, self.box = Values(stack, outside), box

    def shaped(self, row: Row, part: MaskPart, below: Below) -> Floats:
        """As of the whole canvas; raises NotAtHand where it looks further than the piece."""
        laid = part.laid != _PLAIN and part.source not in ("pattern", "flat")
        heights = part.source == "geometry" and self.outside.geometry is None
        if part.shape != Shaping() or laid or heights:
            raise NotAtHand
        return super().shaped(row, part, below)

    def draw_ahead(self, patterns: Sequence[tuple[PatternParams, UvTransform]]) -> None:
        """Draw patterns over the whole canvas, where they are kept."""
        self.whole.draw_ahead(patterns)

    def _pattern(self, pattern: PatternParams, how: UvTransform) -> Floats:
        return cut(self.whole._pattern(pattern, how), self.box)

    def _read(self, cell: ChannelSource, channel: str) -> tuple[Floats, Floats]:
        if cell.laid != _PLAIN:
            raise NotAtHand
        return super()._read(cell, channel)

    def paint(self, strokes: tuple[PaintStroke, ...], channels: tuple[str, ...]) -> dict[str, Paint]:
        """What strokes have left in the piece."""
        found = self.whole.paint(strokes, channels)
        return {k: Paint(cut(p.value, self.box), cut(p.weight, self.box)) for k, p in found.items()}

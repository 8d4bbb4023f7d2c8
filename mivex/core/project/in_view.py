"""What is on the screen first: a large picture as finely as it is shown, or the piece of it that is shown."""

import math
from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

from mivex.core.base.graph import Node, hashed
from mivex.core.layers.model import Stack
from mivex.core.layers.nodes import state_nodes
from mivex.core.layers.piece import NotAtHand, PieceValues, cut, cut_surface
from mivex.core.layers.ribbons import Box
from mivex.core.layers.stack import finished, guard_of, surface_of
from mivex.core.picture.picture import quantise
from mivex.core.picture.texture import Texture
from mivex.core.prepare.drawing import drawn_beneath
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import PROXY_SIDE, Evaluator, StepResult, canvas_size
from mivex.core.project.layering import LARGE, EvaluationRequest

BLOCK = 8
LARGEST_PIECE = 1 << 22
"""Texels up to which a piece is worked out by itself."""
SMALL = 1 << 20
"""Texels of a canvas that is worked out whole: a piece would not be there much sooner."""


@dataclass(frozen=True)
class ShownPart:
    """What of an overlay somebody looks at.

    Attributes
    ----------
    overlay : str
        Its id.
    zoom : float
        Pixels of the screen to a texel at full size.
    box : Box
        Rows and columns at full size that are on the screen; may reach beyond the picture.
    """

    overlay: str
    zoom: float
    box: Box


@dataclass(frozen=True, eq=False)
class TexturePiece:
    """A box of a texture.

    Attributes
    ----------
    box : Box
        In texels of ``size``.
    texture : Texture
    size : (width, height)
        Of the whole texture that it is a part of: full size, or less where all is shown smaller.
    """

    box: Box
    texture: Texture
    size: tuple[int, int]


def _blocks(box: Box, scale: float, size: tuple[int, int]) -> Box | None:
    """A box at full size as whole blocks of texels of a canvas (height, width) at a scale; None where it lies outside.

    Shown smaller, a piece is averaged block by block as all of the picture will be: then both must begin at one place.
    """
    first = [max(0, math.floor(v * scale / BLOCK) * BLOCK) for v in (box[0], box[2])]
    last = [min(n, math.ceil(v * scale / BLOCK) * BLOCK) for v, n in zip((box[1], box[3]), size, strict=True)]
    return (first[0], last[0], first[1], last[1]) if first[0] < last[0] and first[1] < last[1] else None


def piece(evaluator: Evaluator, overlay: Overlay, ask: EvaluationRequest, box: Box) -> TexturePiece | None:
    """A box of an overlay's finished texture, without its channels; raises MivexError, Stopped.

    None where it depends on more of the picture than the box.
    """
    slot, stack = evaluator.slot(overlay, ask), overlay.layers
    beneath = drawn_beneath(overlay.steps)
    if any(s.on and s not in beneath for s in overlay.steps):
        return None
    start, empty = evaluator.begun(overlay, ask)
    cut_start = Node(
        hashed(start.key, str(box)),
        lambda worked: StepResult(cut_surface(worked.surface, box)),
        (start,),
        StepResult.size,
    )
    outside = evaluator.outside(overlay, ask)
    values = PieceValues(stack, outside, box)
    # Every state of a piece is kept: it is small, and the next move of the slider begins below its row.
    nodes = state_nodes(
        stack,
        cut_start,
        lambda worked: worked.surface,  # type: ignore[attr-defined]
        values.outside,
        empty=empty,
        slot=f"{slot} piece",
        values=values,
    )
    try:
        planes = evaluator.graph.value(nodes[-1], ask.stop, ask.tell)
    except NotAtHand:
        return None
    made = finished(planes, stack, cut(guard_of(stack, outside), box) if stack.guard.on else None)
    surface, bits = surface_of(made), overlay.delivery.bits
    stored = quantise(np.clip(surface.values, 0, 1), bits)
    size = values.whole.outside.size
    return TexturePiece(box, Texture(stored, traits=surface.traits.but(cells=(), scale=1.0), bits=bits), size[::-1])


def in_view(
    evaluator: Evaluator, overlay: Overlay, doc: Document, shown: ShownPart, stop: Callable[[], bool] = lambda: False
) -> Texture | TexturePiece | None:
    """What is on the screen of an overlay, sooner than all of it.

    Parameters
    ----------
    evaluator : Evaluator
    overlay : Overlay
    doc : Document
    shown : ShownPart
    stop : callable
        Asked between steps and rows; true ends it.

    Returns
    -------
    TexturePiece
        Where it is looked at closely: the piece that is shown, as it will be.
    Texture
        Where all of it is shown smaller than it is: with as many texels as are shown.
    None
        Where the first look is fine enough already, or only all of it gives what is shown.

    Raises
    ------
    MivexError
        A picture cannot be read.
    Stopped
    """
    picture = evaluator.start_of(overlay)
    longer = max(picture.width, picture.height)
    if shown.zoom * longer <= PROXY_SIDE:
        return None
    # A power of two: small changes of the zoom ask for the same size, whose layers are kept.
    side = 1 << math.ceil(math.log2(shown.zoom * longer))
    side = 0 if side > longer // 2 else side
    ask = EvaluationRequest(stop, doc=doc, side=side)
    size = canvas_size(picture, ask)
    box = _blocks(shown.box, (side or longer) / longer, size)
    if box is None:
        return None
    seen, whole = (box[1] - box[0]) * (box[3] - box[2]), size[0] * size[1]
    # Of a very large canvas a piece is quick only if what it is cut from has been drawn before.
    drawn = whole < LARGE or evaluator.slot(overlay, ask) in evaluator.history
    if overlay.layers != Stack() and drawn and whole > SMALL and seen <= min(LARGEST_PIECE, 0.7 * whole):
        found = piece(evaluator, overlay, ask, box)
        if found is not None:
            return found
    return evaluator.texture(overlay, doc, side=side, stop=stop) if side else None

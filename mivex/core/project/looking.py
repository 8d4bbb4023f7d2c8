"""Views into a stack: one channel, a mask, the stack up to a layer; and the small pictures of the table's cells.

A view is named by a word: ``stack`` (the layers' result, before the steps), ``channel:NAME``, ``mask:ROW``,
``upto:ROW`` or ``below:ROW``.
"""

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError
from mivex.core.base.graph import hashed
from mivex.core.base.lazy import Lazy
from mivex.core.base.messages import InSentence, Message, joined, term
from mivex.core.base.types import Floats
from mivex.core.layers.channels import CHANNELS, COLOURED
from mivex.core.layers.live import LivePaint
from mivex.core.layers.masks import Values
from mivex.core.layers.model import Group, Layer, Stack
from mivex.core.layers.stack import Planes, surface_of
from mivex.core.layers.views import Explained, channel_picture, explained
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import to_display
from mivex.core.prepare.base import Surface
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.layer_edits import Rows
from mivex.core.project.layering import EvaluationRequest

cv2 = Lazy("cv2")
VIEW_SIDE = 1024
"""Largest side of a view into the stack."""
CELL = 40
"""Side of a cell's picture."""


def _at(stack: Stack, row_id: str) -> int:
    """Which of the rows that are on holds a row; −1: none."""

    def holds(r: Layer | Group) -> bool:
        return r.id == row_id or (isinstance(r, Group) and any(holds(x) for x in r.rows))

    return next((i for i, r in enumerate(r for r in stack.rows if r.on) if holds(r)), -1)


def view_texture(evaluator: Evaluator, overlay: Overlay, ask: EvaluationRequest, look: str) -> Texture:
    """A view into an overlay's stack; raises MivexError."""
    what, _, which = look.partition(":")
    longer = max(evaluator.start_of(overlay).width, evaluator.start_of(overlay).height)
    ask = EvaluationRequest(ask.stop, ask.tell, ask.doc, side=min(longer, VIEW_SIDE))
    worked = evaluator.graph.value(evaluator.states_of(overlay, ask)[-1], ask.stop, ask.tell)
    surface: Surface = worked.surface
    data = False
    if what == "channel":
        values = channel_picture(surface, which, overlay.layers.relief)
        data = which not in COLOURED
        values = np.dstack([values, np.ones(values.shape[:2], np.float32)])
    elif what == "mask":
        row = overlay.layers.row(which)
        if row is None:
            raise MivexError("The layer is gone.")
        below = planes_below(evaluator, overlay, ask, which)
        m = np.broadcast_to(
            Values(overlay.layers, evaluator.outside(overlay, ask)).mask(row, below.get), surface.alpha.shape
        )
        values, data = np.dstack([m, m, m, np.ones_like(m)]), True
    elif what in ("upto", "below"):
        nodes = evaluator.layer_states(overlay, ask)
        at = _at(overlay.layers, which)
        planes = evaluator.graph.value(nodes[min(max(at + (what == "upto"), 0), len(nodes) - 1)], ask.stop, ask.tell)
        values = surface_of(planes).values
    else:
        values = surface.values
    start = evaluator.start_of(overlay)
    scale = surface.alpha.shape[1] / start.width
    traits = {"scale": scale, "full": (start.width, start.height)} if scale < 1 else {}
    key = hashed(evaluator.states_of(overlay, ask)[-1].key, look)
    return Texture(
        np.ascontiguousarray(np.clip(values, 0, 1), np.float32),
        "data" if data else "colour",
        bits=16,
        key=key,
        notes=worked.notes,
        **traits,
    )


def planes_below(evaluator: Evaluator, overlay: Overlay, ask: EvaluationRequest, row_id: str) -> Planes:
    """The state of a stack below the row that is, or holds, another."""
    nodes = evaluator.layer_states(overlay, ask)
    found: Planes = evaluator.graph.value(nodes[min(max(_at(overlay.layers, row_id), 0), len(nodes) - 1)], ask.stop)
    return found


def _small(values: Floats, channel: str) -> NDArray[np.uint8]:
    v = values
    if channel in COLOURED:
        v = to_display(np.ascontiguousarray(v))
    elif channel == "height":
        v = v * np.float32(0.5) + np.float32(0.5)
    if v.ndim == 2:
        v = np.repeat(v[..., None], 3, axis=2)
    if v.shape[:2] == (1, 1):
        v = np.broadcast_to(v, (4, 4, 3))
    return np.ascontiguousarray((np.clip(v, 0, 1) * 255 + 0.5).astype(np.uint8))


def cell_pictures(
    evaluator: Evaluator, overlay: Overlay, ask: EvaluationRequest
) -> dict[tuple[str, str], NDArray[np.uint8]]:
    """Small pictures by row and column: ``mask``, channels that are touched, and ``below:`` what lies under a row.

    The base stands under the row of no name.
    """
    stack = overlay.layers
    ask = EvaluationRequest(ask.stop, ask.tell, ask.doc, side=CELL)
    values = Values(stack, evaluator.outside(overlay, ask))
    nodes = evaluator.layer_states(overlay, ask)
    out: dict[tuple[str, str], NDArray[np.uint8]] = {}
    base: Planes = evaluator.graph.value(nodes[0], ask.stop)
    for channel in CHANNELS:
        out["", channel] = _small(base.get(channel), channel)

    def one(row: Layer | Group, below: Planes, after: Planes) -> None:
        out[row.id, "mask"] = _small(values.mask(row, below.get), "mask")
        for channel in CHANNELS:
            out[row.id, f"below:{channel}"] = _small(below.get(channel), channel)
        if isinstance(row, Group) or row.laid_over:
            for channel in row.channels:
                out[row.id, channel] = _small(after.get(channel), channel)
            for r in row.rows if isinstance(row, Group) else ():
                one(r, below, after)
            return
        for channel, cell in row.cells.items():
            try:
                out[row.id, channel] = _small(values.cell(row, channel, cell)[0], channel)
            except MivexError:
                continue

    at = 0
    for row in stack.rows:
        below = evaluator.graph.value(nodes[at], ask.stop)
        at += row.on
        one(row, below, evaluator.graph.value(nodes[at], ask.stop))
    return out


def texel_explained(evaluator: Evaluator, overlay: Overlay, ask: EvaluationRequest, x: float, y: float) -> list[Explained]:
    """Which layer gave each channel its value at a place, shares of the canvas."""
    longer = max(evaluator.start_of(overlay).width, evaluator.start_of(overlay).height)
    ask = EvaluationRequest(ask.stop, ask.tell, ask.doc, side=min(longer, VIEW_SIDE))
    return explained(evaluator.graph, overlay.layers, evaluator.layer_states(overlay, ask), x, y)


def live_paint(evaluator: Evaluator, overlay: Overlay, doc: Document, row_id: str, part: int = -1) -> LivePaint:
    """What composes a stroke on a row while it is drawn; raises MivexError."""
    ask = EvaluationRequest(doc=doc)
    nodes = evaluator.layer_states(overlay, ask)
    at = _at(overlay.layers, row_id)
    on: Rows = tuple(r for r in overlay.layers.rows if r.on)
    if at < 0:
        raise MivexError("the layer is switched off.")
    below: Planes = evaluator.graph.value(nodes[min(at, len(nodes) - 1)] if len(nodes) == len(on) + 1 else nodes[0])
    rows = on[at:] if len(nodes) == len(on) + 1 else on
    return LivePaint(Values(overlay.layers, evaluator.outside(overlay, ask)), below, rows, row_id, part)


def words_of(found: list[Explained]) -> str:
    """What `texel_explained` has found, in one line: channels by the layer that gave them."""
    by: dict[str, list[str]] = {}
    for e in found:
        value = joined(" ", (Message("{v:.2f}", v=v) for v in e.value))
        by.setdefault(e.name or term("a layer"), []).append(
            Message("{channels} {value}", channels=InSentence(CHANNELS[e.channel]), value=value)
        )
    return (
        joined(".  ", (Message("{name}: {parts}", name=name, parts=joined(", ", what)) for name, what in by.items())) + "."
    )

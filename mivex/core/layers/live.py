"""A stroke while it is drawn: only what it touches is composed, through all layers above, from arrays that are kept."""

from collections.abc import Callable
from dataclasses import replace

import numpy as np

from mivex.core.base.errors import MivexError
from mivex.core.base.types import Floats
from mivex.core.layers.dabs import Box, Cover, SurfaceCanvas, box_of, dabs_of
from mivex.core.layers.joining import EVERYWHERE, join_masks, levelled, pressed
from mivex.core.layers.masks import Below, Values, nothing_below, stamp_from
from mivex.core.layers.model import ChannelSource, Group, Layer, MaskPart, Row, Shaping, UvTransform
from mivex.core.layers.painting import Paint, Painted, apply_cover, blank, stroke_cover
from mivex.core.layers.piece import cut
from mivex.core.layers.stack import Planes, applied, surface_of
from mivex.core.layers.strokes import PaintStroke


class _Pieces(Values):
    """Masks and values of a piece of the canvas, cut from those that were worked out for all of it."""

    def __init__(self, whole: "LivePaint", box: Box, paint: Painted) -> None:
        super().__init__(whole.values.stack, whole.values.outside)
        self.whole, self.box, self.live = whole, box, paint

    def mask(self, row: Row, below: Below = nothing_below) -> Floats:
        if row.id == self.whole.row_id and self.whole.part >= 0:
            out: Floats = EVERYWHERE
            for i, (part, shaped) in enumerate(self.whole.parts):
                m = shaped if part is self.whole.painted_part else cut(shaped, self.box)
                if part is self.whole.painted_part:
                    p = self.live["mask"]
                    left = np.asarray(p.value[..., 0] + np.float32(part.value) * (1 - p.weight), np.float32)
                    m = pressed(levelled(1 - left if part.invert else left, part.levels), part.contrast, part.balance)
                out = m if i == 0 else join_masks(out, m, part.join)
            return np.ascontiguousarray(out, np.float32)
        return cut(self.whole.masks[row.id], self.box)

    def cell(self, layer: Layer, channel: str, cell: ChannelSource) -> tuple[Floats, Floats]:
        if layer.id == self.whole.row_id and self.whole.part < 0 and cell.source == "painted" and channel in self.live:
            p = self.live[channel]
            value = p.straight() if p.value.shape[2] == 3 else p.straight()[..., 0]
            return self._level(value, cell, p.value.shape[2] == 3), p.weight
        value, weight = self.whole.cells[layer.id, channel]
        return cut(value, self.box), cut(weight, self.box)


class _Whole(Values):
    """Masks and values of the whole canvas while a stroke is drawn, worked out anew from what it has left so far."""

    def __init__(self, live: "LivePaint", paint: Painted) -> None:
        super().__init__(live.values.stack, live.values.outside)
        self.live, self.painted = live, paint

    def _part(self, row: Row, part: MaskPart, below: Below) -> Floats:
        if row.id == self.live.row_id and part is self.live.painted_part:
            p = self.painted["mask"]
            return np.asarray(p.value[..., 0] + np.float32(part.value) * (1 - p.weight), np.float32)
        return super()._part(row, part, below)

    def cell(self, layer: Layer, channel: str, cell: ChannelSource) -> tuple[Floats, Floats]:
        if layer.id == self.live.row_id and self.live.part < 0 and cell.source == "painted" and channel in self.painted:
            p = self.painted[channel]
            value = p.straight() if p.value.shape[2] == 3 else p.straight()[..., 0]
            return self._level(value, cell, p.value.shape[2] == 3), p.weight
        return super().cell(layer, channel, cell)


def _moved(part: MaskPart) -> bool:
    """Whether what is painted shows elsewhere than under the pointer."""
    return part.laid != UvTransform() or part.shape != Shaping()


def _reads(rows: tuple[Row, ...], painted: str, flat: bool) -> bool:
    """Whether a mask looks at the painted layer, or at heights that change with it: then more than its dabs changes."""
    for k, r in enumerate(rows):
        for part in r.mask.parts:
            if not part.on:
                continue
            if part.source == "layer" and part.layer == painted:
                return True
            if part.source == "geometry" and flat and (k > 0 or r.id != painted):
                return True
            if part.source == "below" and (k > 0 or r.id != painted):
                return True
        if isinstance(r, Group) and _reads(r.rows, painted, flat):
            return True
    return False


class LivePaint:
    """Composes a growing stroke. Made in the background: everything that does not change is worked out first.

    Parameters
    ----------
    values : Values
        Of the stack as it will be when the stroke is done (its channels touched), the stroke itself not among it.
    below : Planes
        The state below the row that holds the painted one.
    rows : sequence of rows
        That row and those above it.
    row_id : str
        The painted row.
    part : int
        The painted part of its mask; −1: the layer itself.
    """

    def __init__(self, values: Values, below: Planes, rows: tuple[Layer | Group, ...], row_id: str, part: int = -1) -> None:
        self.values, self.below, self.rows, self.row_id, self.part = values, below, rows, row_id, part
        row = values.stack.row(row_id)
        if row is None:
            raise MivexError("the layer that is painted on is gone.")
        self.row = row
        self.masks: dict[str, Floats] = {}
        self.cells: dict[tuple[str, str], tuple[Floats, Floats]] = {}
        # Kept as the object: masks are worked out from the stack, and this very part is to be taken from the stroke.
        self.painted_part = row.mask.parts[part] if part >= 0 else None
        if self.painted_part is not None and _moved(self.painted_part):
            raise MivexError("what is painted is laid elsewhere, or shaped; it shows when the stroke ends.")
        self.parts = [(p, self._shaped(row, p)) for p in row.mask.parts if p.on] if part >= 0 else []
        # Rows within groups too: their masks are asked for one by one while the stroke grows.
        todo = list(rows)
        while todo:
            r = todo.pop()
            self.masks[r.id] = values.mask(r, below.get)
            if isinstance(r, Group):
                todo += r.rows
                continue
            for channel, cell in r.cells.items():
                try:
                    self.cells[r.id, channel] = values.cell(r, channel, cell)
                except MivexError:
                    self.cells[r.id, channel] = np.zeros((1, 1), np.float32), np.zeros((1, 1), np.float32)
        self.channels = ("mask",) if part >= 0 else tuple(row.channels)
        strokes = self.painted_part.strokes if self.painted_part is not None else getattr(row, "strokes", ())
        self.before = values.paint(strokes, self.channels)
        self._cover: Cover | None = None
        self._anew: Floats | None = None
        self._was: Box | None = None
        self._surface: SurfaceCanvas | None = None
        self._laid = 0
        self._far = _reads(rows, row_id, values.outside.geometry is None)

    def _shaped(self, row: Row, part: object) -> Floats:
        assert isinstance(part, MaskPart)
        try:
            return self.values.shaped(row, part, self.below.get)
        except MivexError:
            return EVERYWHERE

    def begin(self) -> None:
        """Begin another stroke: no texel is covered by it yet."""
        self._cover, self._surface, self._anew, self._was = None, None, None, None
        self._laid = 0

    def _as_a_whole(self, stroke: PaintStroke) -> Box | None:
        """Lay all of a stroke whose line changes as it grows; the piece that it touches, or touched before."""
        size = self.values.outside.size
        if self._anew is None:
            self._anew = np.zeros(size, np.float32)
        before = self._was
        if before is not None:
            self._anew[before[0] : before[1], before[2] : before[3]] = 0
        laid = stroke_cover(stroke, size, stamp_from(self.values.outside.picture))
        self._was = None if laid is None else laid[0]
        if laid is not None:
            (top, low, left, right), cover = laid
            self._anew[top:low, left:right] = cover
        both = [b for b in (before, self._was) if b is not None]
        if not both:
            return None
        return min(b[0] for b in both), max(b[1] for b in both), min(b[2] for b in both), max(b[3] for b in both)

    def _on_canvas(self, stroke: PaintStroke) -> Box | None:
        """Lay what is new of a stroke on the canvas; the piece that it touches."""
        h, w = self.values.outside.size
        dabs = dabs_of(stroke, h, w)
        # A stroke that grows keeps the dabs that it has, so that only new ones are laid.
        fresh = dabs[self._laid :]
        box = box_of(fresh, h, w, wrap=stroke.wrap)
        self._laid = len(dabs)
        if box is not None:
            if self._cover is None:
                self._cover = Cover(stroke, (h, w), stamp_from(self.values.outside.picture))
            self._cover.lay(fresh, box)
        return box

    def _on_surface(self, stroke: PaintStroke) -> Box | None:
        """The same on the surface of the mesh."""
        if self._surface is None:
            if self.values.outside.surface is None:
                return None
            self._surface = self.values.outside.surface()
        return self._surface.lay(stroke)

    def grow(self, stroke: PaintStroke, region: Callable[[str], Floats] | None = None) -> tuple[Box, Floats] | None:
        """Compose what has been added to a stroke since the last call.

        Returns
        -------
        (box, values), or None where nothing was added
            The touched piece of the canvas, and its straight display values (h, w, 4).
        """
        h, w = self.values.outside.size
        whole = not stroke.surface and (stroke.smooth or stroke.tip.form == "pattern")
        box = (self._on_surface if stroke.surface else self._as_a_whole if whole else self._on_canvas)(stroke)
        if box is None:
            return None
        if self._far:
            # A mask above reads what is painted here, or the heights that come of it: it may change anywhere.
            box = 0, h, 0, w
        top, low, left, right = box
        if self._surface is not None:
            cover: Floats = self._surface.values[top:low, left:right]
        elif self._anew is not None:
            cover = self._anew[top:low, left:right]
        else:
            assert self._cover is not None
            cover = self._cover.part(box)
        if stroke.faces and region is not None:
            cover = cover * region(stroke.faces)[top:low, left:right]
        paint: dict[str, Paint] = {}
        for channel in self.channels:
            old = self.before.get(channel) or blank(channel, h, w)
            paint[channel] = Paint(cut(old.value, box).copy(), cut(old.weight, box).copy())
        apply_cover(paint, stroke, np.ascontiguousarray(cover), (0, low - top, 0, right - left), self.channels)
        pieces: Values = _Whole(self, paint) if self._far else _Pieces(self, box, paint)
        start = self.below.start.but(values=cut(self.below.start.values, box))
        planes = replace(self.below, start=start, made={k: cut(v, box) for k, v in self.below.made.items()})
        for r in self.rows:
            planes = applied(planes, r, pieces)
        return box, surface_of(planes).values

"""Masks and values of a stack, at the size of a canvas."""

from collections.abc import Callable, Sequence
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass, field

import numpy as np

from mivex.core.base.bands import WORKERS
from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message, term
from mivex.core.base.types import Floats
from mivex.core.layers.channels import COLOURED, TABLE
from mivex.core.layers.dabs import SurfaceCanvas
from mivex.core.layers.joining import EVERYWHERE, join_masks, levelled, pressed
from mivex.core.layers.laying import colour_laid, laid, pattern_laid
from mivex.core.layers.model import (
    ChannelSource,
    Geometry,
    Layer,
    MaskPart,
    PictureChannel,
    Row,
    Shaping,
    Stack,
    UvTransform,
)
from mivex.core.layers.painting import Paint, painted
from mivex.core.layers.patterns import PATTERNS
from mivex.core.layers.patterns.base import PatternParams
from mivex.core.layers.shaping import shaped
from mivex.core.layers.strokes import PaintStroke
from mivex.core.pixels.colour import LUMINANCE, to_linear
from mivex.core.prepare.base import Surface
from mivex.core.prepare.resample import resized

_PLAIN = UvTransform()
Below = Callable[[str], Floats]
"""Gives a channel of what lies below a row, (h, w[, 3]) or of one texel."""


def nothing_below(_channel: str) -> Floats:
    """Of a mask that is read by itself: nothing."""
    return np.zeros((1, 1), np.float32)


CHUNK = 8
"""Strokes that are rendered in one go and kept."""


@dataclass(frozen=True, eq=False)
class LayerInputs:
    """What a stack needs from outside, at the size of its canvas.

    Attributes
    ----------
    size : (height, width)
    picture : callable
        A picture by path, (height, width, 4) of display values, as large as the canvas or larger.
    linear : callable
        Whether that picture's colours are light already.
    overlay : callable
        Another overlay's result by id, a Surface.
    geometry, region : callable
        A mask by `Geometry`, or by triangles, from the mesh that the overlay sits on; None where it sits on none.
    surface : callable
        A fresh coverage for a stroke on the surface of that mesh.
    space : callable
        A pattern laid by where texels lie on that mesh, (h, w).
    mark : callable
        Names what a path, an overlay or the mesh holds: ``mark("picture", path)``.
    keep : callable
        ``keep(key, make)`` gives what was made under a key before, or makes it.
    """

    size: tuple[int, int]
    picture: Callable[[str], Floats]
    overlay: Callable[[str], Surface]
    geometry: Callable[[Geometry], Floats] | None = None
    region: Callable[[str], Floats] | None = None
    surface: Callable[[], SurfaceCanvas] | None = None
    space: Callable[[PatternParams, UvTransform], Floats] | None = None
    mark: Callable[[str, str], str] = lambda _kind, what: what
    keep: Callable[[str, Callable[[], object]], object] = lambda _key, make: make()
    linear: Callable[[str], bool] = lambda _path: False
    notes: list[str] = field(default_factory=list)


def channel_of(values: Floats, channel: PictureChannel) -> Floats:
    """One channel of RGBA, or the luminance of its display values."""
    if channel == "luminance":
        return np.asarray(values[..., :3] @ LUMINANCE, np.float32)
    return np.ascontiguousarray(values[..., {"red": 0, "green": 1, "blue": 2, "alpha": 3}[channel]])


def stamp_from(picture: Callable[[str], Floats]) -> Callable[[str], Floats]:
    """Tips out of pictures: luminance times alpha, at most 256 texels a side."""

    def stamp(path: str) -> Floats:
        v = picture(path)
        t = channel_of(v, "luminance") * v[..., 3]
        side = max(t.shape)
        square = np.zeros((side, side), np.float32)
        oy, ox = (side - t.shape[0]) // 2, (side - t.shape[1]) // 2
        square[oy : oy + t.shape[0], ox : ox + t.shape[1]] = t
        return resized(square[..., None], 256, 256)[..., 0] if side > 256 else square

    return stamp


class Values:
    """Works out the masks and values of one stack's rows.

    Parameters
    ----------
    stack : Stack
    outside : LayerInputs
    """

    def __init__(self, stack: Stack, outside: LayerInputs) -> None:
        self.stack, self.outside = stack, outside
        self._asked: list[str] = []

    def note(self, sentence: str) -> None:
        """Something that could not be had, and is left out."""
        if sentence not in self.outside.notes:
            self.outside.notes.append(sentence)

    def mask(self, row: Row, below: Below = nothing_below) -> Floats:
        """The mask of a row, (h, w) or (1, 1); ``below`` gives a channel of what lies below it."""
        out: Floats = EVERYWHERE
        first = True
        for part in row.mask.parts:
            if not part.on:
                continue
            try:
                m = self.shaped(row, part, below)
            except MivexError as e:
                self.note(Message("Layer “{name}”: {e}", name=row.name, e=term(e)))
                continue
            out = m if first else join_masks(out, m, part.join)
            first = False
        return np.ascontiguousarray(out, np.float32)

    def shaped(self, row: Row, part: MaskPart, below: Below) -> Floats:
        """One part of a mask as it joins the others: laid, inverted, levelled, pressed; raises MivexError."""
        m = self._part(row, part, below)
        if part.source not in ("pattern", "picture", "overlay") and part.laid != _PLAIN and m.shape == self.outside.size:
            m = laid(m, part.laid, self.outside.size)
        if part.shape != Shaping():
            m = shaped(np.ascontiguousarray(m, np.float32), part.shape, self._warp(part), self.outside.size)
        return pressed(levelled(1 - m if part.invert else m, part.levels), part.contrast, part.balance)

    def _warp(self, part: MaskPart) -> Floats | None:
        """What a part is warped by."""
        if part.shape.warp <= 0:
            return None
        by = part.warp_by if part.warp_by is not None else PATTERNS["noise"].params()
        return pattern_laid(by, _PLAIN, self.outside.size, self.outside.keep)

    def _below(self, part: MaskPart, below: Below) -> Floats:
        """A channel of the result below, as a mask: brightness of colours, heights as far as they rise."""
        if part.of == "mask":
            raise MivexError("it is not chosen which channel below its mask reads.")
        value = below(part.of)
        return np.asarray(np.clip(value @ LUMINANCE if value.ndim == 3 else value, 0, 1), np.float32)

    def _part(self, row: Row, part: MaskPart, below: Below) -> Floats:
        o = self.outside
        if part.source == "flat":
            return np.full((1, 1), part.value, np.float32)
        if part.source == "pattern":
            return EVERYWHERE if part.pattern is None else self._pattern(part.pattern, part.laid)
        if part.source == "picture":
            if not part.path:
                raise MivexError("no picture is chosen for its mask.")
            return laid(channel_of(o.picture(part.path), part.channel), part.laid, o.size)
        if part.source == "painted":
            p = self.paint(part.strokes, ("mask",))["mask"]
            return np.asarray(p.value[..., 0] + np.float32(part.value) * (1 - p.weight), np.float32)
        if part.source == "region":
            if o.region is None:
                raise MivexError("its faces belong to a mesh, and the overlay sits on none.")
            return o.region(part.faces)
        if part.source == "geometry":
            if o.geometry is not None:
                return o.geometry(part.geometry)
            from mivex.core.layers.heights import geometry_of_heights

            return geometry_of_heights(part.geometry, below("height"), o.size)
        if part.source == "below":
            return self._below(part, below)
        if part.source == "overlay":
            if not part.overlay:
                raise MivexError("no overlay is chosen for its mask.")
            return laid(channel_of(o.overlay(part.overlay).values, part.channel), part.laid, o.size)
        return self._other(row, part)

    def _pattern(self, pattern: PatternParams, how: UvTransform) -> Floats:
        o = self.outside
        if how.by == "space" and o.space is not None:
            return o.space(pattern, how)
        return pattern_laid(pattern, how, o.size, o.keep)

    def draw_ahead(self, patterns: Sequence[tuple[PatternParams, UvTransform]]) -> None:
        """Draw the patterns that rows will read, two at a time: much of their work is of one core only."""
        if len(patterns) > 1 and WORKERS > 1:
            with ThreadPoolExecutor(2) as pool:
                list(pool.map(lambda p: pattern_laid(p[0], p[1], self.outside.size, self.outside.keep), patterns))

    def _other(self, row: Row, part: MaskPart) -> Floats:
        other = self.stack.row(part.layer)
        if other is None:
            raise MivexError("the layer that its mask reads is gone.")
        if part.layer in self._asked or other.id == row.id:
            raise MivexError(Message("its mask and that of “{name}” use each other.", name=other.name))
        self._asked.append(part.layer)
        try:
            if part.of == "mask":
                return self.mask(other)
            cell = other.cells.get(part.of) if isinstance(other, Layer) else None
            if cell is None:
                raise MivexError(Message("“{name}” makes nothing of that channel.", name=other.name))
            assert isinstance(other, Layer)
            value, weight = self.cell(other, part.of, cell)
            grey = value @ LUMINANCE if value.ndim == 3 else value
            # Heights reach below the surface; what lies there is no part of the mask.
            return np.asarray(np.clip(grey * weight, 0, 1), np.float32)
        finally:
            self._asked.pop()

    def cell(self, layer: Layer, channel: str, cell: ChannelSource) -> tuple[Floats, Floats]:
        """A channel's value, (h, w[, 3]) or of one texel, linear for colours; and how much of it there is."""
        coloured = channel in COLOURED
        if cell.source == "painted":
            p = self.paint(layer.strokes, layer.channels)[channel]
            value = p.straight() if coloured else p.straight()[..., 0]
            return self._level(value, cell, coloured), p.weight
        if cell.source in ("picture", "overlay"):
            values, weight = self._read(cell, channel)
        elif cell.source == "pattern" and cell.pattern is not None:
            t = levelled(self._pattern(cell.pattern, cell.laid), cell.levels)
            if coloured:
                low, high = (to_linear(np.array(c, np.float32)) for c in (cell.colour_low, cell.colour))
                return np.asarray(low + (high - low) * t[..., None], np.float32), EVERYWHERE
            return np.asarray(cell.number_low + (cell.number - cell.number_low) * t, np.float32), EVERYWHERE
        else:
            flat = (
                to_linear(np.array(cell.colour, np.float32)).reshape(1, 1, 3)
                if coloured
                else np.full((1, 1), cell.number, np.float32)
            )
            return flat, EVERYWHERE
        if cell.source == "overlay":
            row = TABLE[channel]
            return row.decoded(levelled(row.encoded(values), cell.levels)) if not cell.levels.plain else values, weight
        return self._level(values, cell, coloured), weight

    def _level(self, values: Floats, cell: ChannelSource, coloured: bool) -> Floats:
        if cell.levels.plain:
            return values
        if not coloured:
            return levelled(values, cell.levels)
        from mivex.core.pixels.colour import to_display

        return to_linear(levelled(to_display(values), cell.levels))

    def _read(self, cell: ChannelSource, channel: str) -> tuple[Floats, Floats]:
        o = self.outside
        if cell.source == "picture":
            if not cell.path:
                raise MivexError("no picture is chosen.")
            v = o.picture(cell.path)
            if channel not in COLOURED:
                return laid(channel_of(v, cell.channel), cell.laid, o.size), EVERYWHERE
            linear, mark = o.linear(cell.path), o.mark("picture", cell.path)
            return colour_laid(
                v, cell.laid, o.size, linear=linear, keep=lambda make: o.keep(f"levels of {mark} {linear}", make)
            )
        if not cell.overlay:
            raise MivexError("no overlay is chosen.")
        s = o.overlay(cell.overlay)
        if channel in s.channels:
            stored = s.channels[channel] if channel in COLOURED else s.channels[channel][..., 0]
            # Decoded first: light is averaged as light, a height as a height.
            return laid(TABLE[channel].decoded(np.ascontiguousarray(stored)), cell.laid, o.size), EVERYWHERE
        if channel == "opacity":
            return laid(np.ascontiguousarray(s.values[..., 3]), cell.laid, o.size), EVERYWHERE
        if channel not in COLOURED:
            return laid(channel_of(s.values, cell.channel), cell.laid, o.size), EVERYWHERE
        return colour_laid(s.values, cell.laid, o.size, data=s.data)

    def paint(self, strokes: tuple[PaintStroke, ...], channels: tuple[str, ...]) -> dict[str, Paint]:
        """What strokes have left, by channel; whole chunks of them are kept."""
        o = self.outside

        def region(faces: str) -> Floats:
            if o.region is None:
                raise MivexError("a stroke keeps to faces of a mesh, and the overlay sits on none.")
            return o.region(faces)

        def surface() -> SurfaceCanvas:
            if o.surface is None:
                raise MivexError("a stroke was painted on the surface of a mesh, and the overlay sits on none.")
            return o.surface()

        done: dict[str, Paint] = {}
        key = f"paint {channels} {o.size}"
        for i in range(0, max(len(strokes), 1), CHUNK):
            part = strokes[i : i + CHUNK]
            words = "".join(s.model_dump_json() for s in part)
            marks = "".join(o.mark("picture", s.tip.stamp) for s in part if s.tip.form == "stamp" and s.tip.stamp)
            marks += "".join(o.mark("mesh", "") for s in part if s.faces)
            marks += "".join(o.mark("surface", "") for s in part if s.surface)
            key = f"{hash_of(key)} {words} {marks}"
            done = o.keep(
                key,
                lambda p=part, d=done: painted(  # type: ignore[misc, assignment]
                    d, p, o.size, channels, stamp_from(o.picture), region, surface
                ),
            )
        return done


def hash_of(text: str) -> str:
    """A short name for a long text."""
    from mivex.core.base.graph import hashed

    return hashed(text)

"""A stack becomes a surface: row upon row, from the lowest up."""

from collections.abc import Mapping
from dataclasses import dataclass, replace

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.errors import MivexError
from mivex.core.base.lazy import Lazy
from mivex.core.base.messages import InSentence, Message, term
from mivex.core.base.types import Floats
from mivex.core.layers.channels import CHANNELS, COLOURED, MADE, TABLE
from mivex.core.layers.joining import join, join_light, levelled
from mivex.core.layers.laying import colour_laid, laid
from mivex.core.layers.masks import LayerInputs, Values
from mivex.core.layers.model import Base, Group, Layer, Stack, UvTransform
from mivex.core.layers.patterns.fields import Wear, draw_wear
from mivex.core.pixels.colour import to_linear
from mivex.core.prepare.base import Surface

_kernels = Lazy("mivex.core.layers.kernels.joining")


@dataclass(frozen=True, eq=False)
class Planes:
    """All channels somewhere in a stack.

    Attributes
    ----------
    start : Surface
        The source picture, or the empty canvas.
    base : Base
    empty : bool
        The start is an empty canvas: the base says what is on it.
    made : mapping of channel to float32 array
        What rows have touched: colours linear (h, w, 3), all else (h, w). What is not here stays as it began.
    notes : tuple of str
        What could not be had.
    """

    start: Surface
    base: Base
    empty: bool
    made: Mapping[str, Floats]
    notes: tuple[str, ...] = ()

    def get(self, channel: str) -> Floats:
        """A channel, (h, w[, 3]) or of one texel where it is the same everywhere; colours linear."""
        if channel in self.made:
            return self.made[channel]
        if channel in COLOURED:
            if channel == "emissive":
                return np.zeros((1, 1, 3), np.float32)
            if self.empty:
                return to_linear(np.array(self.base.colour, np.float32)).reshape(1, 1, 3)
            rgb = np.ascontiguousarray(self.start.values[..., :3])
            return rgb if self.start.data else to_linear(rgb)
        if channel == "opacity":
            if not self.base.on:
                return np.zeros((1, 1), np.float32)
            return np.full((1, 1), self.base.opacity, np.float32) if self.empty else np.ascontiguousarray(self.start.alpha)
        value = {"roughness": self.base.roughness, "metal": self.base.metal}.get(channel, 0.0)
        return np.full((1, 1), value, np.float32)

    def put(self, **made: Floats) -> "Planes":
        """The same planes with some channels replaced; arrays as `get` gives them."""
        return replace(self, made={**self.made, **made})

    def size(self) -> int:
        """Bytes of what rows have made."""
        return sum(int(v.nbytes) for v in self.made.values()) + 1


def on_base(start: Surface, base: Base) -> Surface:
    """An empty canvas in the colour and opacity of its base, for what is drawn on it before the layers."""
    planes = Planes(start, base, True, {})
    return surface_of(planes)


def applied(planes: Planes, row: Layer | Group, values: Values) -> Planes:
    """All channels after a row; those that it does not touch are the very arrays that they were."""
    if not row.on or row.strength == 0:
        return planes
    if isinstance(row, Group):
        return _group(planes, row, values)
    weight = values.mask(row, planes.get)
    if row.laid_over:
        return _laid_over(planes, row, weight, values)
    found: dict[str, tuple[Floats, Floats, float]] = {}
    for channel in row.channels:
        cell = row.cells[channel]  # type: ignore[index]
        if cell.strength == 0:
            continue
        try:
            value, own = values.cell(row, channel, cell)
        except MivexError as e:
            values.note(
                Message("Layer “{name}”, {channels}: {e}", name=row.name, channels=InSentence(CHANNELS[channel]), e=term(e))
            )
            continue
        found[channel] = value, np.ascontiguousarray(weight * own), row.strength * cell.strength
    made: dict[str, Floats] = {}
    both = [c for c in ("colour", "opacity") if c in found and row.cells[c].join == "towards"]  # type: ignore[index]
    if len(both) == 2:
        (c, cw, cs), (o, ow, os) = found.pop("colour"), found.pop("opacity")
        made["colour"], made["opacity"] = join_light(
            planes.get("colour"),
            planes.get("opacity"),
            np.ascontiguousarray(c),
            np.ascontiguousarray(o),
            (cw, cs),
            (ow, os),
        )
    for channel, (value, m, share) in found.items():
        made[channel] = join(
            planes.get(channel),
            value,
            m,
            share,
            row.cells[channel].join,  # type: ignore[index]
            -1.0 if channel == "height" else 0.0,
        )
    return planes.put(**made)


def _group(planes: Planes, group: Group, values: Values) -> Planes:
    inner = planes
    for r in group.rows:
        inner = applied(inner, r, values)
    touched = {c: inner.get(c) for c in CHANNELS if c in inner.made and inner.made[c] is not planes.made.get(c)}
    for name, levels in group.levels.items():
        if name in touched:
            touched[name] = _level(touched[name], levels, name)
    plain = not group.mask.parts and group.strength == 1
    if plain:
        return planes.put(**touched)
    weight = values.mask(group, planes.get)
    made = {}
    if "colour" in touched and "opacity" in touched:
        each = weight, group.strength
        made["colour"], made["opacity"] = join_light(
            planes.get("colour"), planes.get("opacity"), touched.pop("colour"), touched.pop("opacity"), each, each
        )
    for channel, value in touched.items():
        made[channel] = join(
            planes.get(channel), value, weight, group.strength, "towards", -1.0 if channel == "height" else 0.0
        )
    return planes.put(**made)


def _laid_over(planes: Planes, row: Layer, weight: Floats, values: Values) -> Planes:
    """Another overlay over what there is, both see-through.

    With opacities a below and o above: ``1 − (1 − a)(1 − o)``; colour, roughness and metal by their shares of what is
    seen, ``o`` and ``a (1 − o)``; the height above is carried by what lies below; light given off adds up.
    """
    try:
        s = values.outside.overlay(row.laid_over)
    except MivexError as e:
        values.note(Message("Layer “{name}”: {e}", name=row.name, e=term(e)))
        return planes
    h, w = values.outside.size
    rgb, alpha = colour_laid(s.values, UvTransform(), (h, w), data=s.data)
    o = np.broadcast_to(weight * np.float32(row.strength) * alpha, (h, w))
    a = np.broadcast_to(planes.get("opacity"), (h, w))
    under = a * (1 - o)
    whole = o + under
    share = np.ascontiguousarray(np.divide(o, whole, out=np.zeros_like(whole), where=whole > 0), np.float32)
    made: dict[str, Floats] = {
        "opacity": np.asarray(whole, np.float32),
        "colour": join(planes.get("colour"), rgb, share, 1.0, "towards"),
    }

    def other(channel: str) -> Floats | None:
        found = s.channels.get(channel)
        if found is None:
            return None
        flat = np.ascontiguousarray(found if channel in COLOURED else found[..., 0])
        # Decoded first: light is averaged as light, a height as a height.
        return laid(TABLE[channel].decoded(flat), UvTransform(), (h, w))

    each = np.ascontiguousarray(o, np.float32)
    for channel in MADE:
        if (value := other(channel)) is not None:
            # Heights and light add up where they lie over others; what a surface is made of is taken over.
            traits, below = TABLE[channel], planes.get(channel)
            if traits.cell.get("join") == "add":
                made[channel] = join(below, value, each, 1.0, "add", traits.low)
            else:
                made[channel] = join(below, value, share, 1.0, "towards", traits.low)
    return planes.put(**made)


def _level(values: Floats, levels: object, channel: str) -> Floats:
    # Levels are drawn from 0 to 1, over values as they are stored.
    row = TABLE[channel]
    return row.decoded(levelled(row.encoded(values), levels))  # type: ignore[arg-type]


def guard_of(stack: Stack, outside: LayerInputs) -> Floats:
    """How far the border guard takes opacity away, (h, w); drawn once for a size."""
    h, w = outside.size
    g = stack.guard
    wear = Wear(width=g.width, ragged=g.ragged, features=g.features, soft=1.0 - g.ragged * 0.7, seed=g.seed)
    found = outside.keep(f"guard {wear} {h} {w}", lambda: draw_wear(wear, h, w))
    return np.asarray(found, np.float32)


def finished(planes: Planes, stack: Stack, worn: Floats | None) -> Planes:
    """Range of the whole stack, and the border guard where ``worn`` (of `guard_of`) is given."""
    made: dict[str, Floats] = {}
    for channel, levels in stack.levels.items():
        if not levels.plain:
            made[channel] = _level(planes.get(channel), levels, channel)
    if worn is not None:
        opacity = made.get("opacity", planes.get("opacity"))
        made["opacity"] = np.asarray(np.broadcast_to(opacity, worn.shape) * (1 - worn), np.float32)
    return planes.put(**made)


def surface_of(planes: Planes) -> Surface:
    """The surface that a stack gives: straight display values, and what channels rows have made, (h, w, k).

    Heights are stored as ``(h + 1) / 2``. Texels of what no row touched are the very ones of the source.
    """
    s, made = planes.start, planes.made
    h, w = s.alpha.shape
    changed = planes.empty or "colour" in made or "opacity" in made or not planes.base.on
    values = s.values
    if changed:
        values = np.empty((h, w, 4), np.float32)
        own = "colour" in made or planes.empty
        rgb, alpha = (planes.get("colour") if own else s.values), planes.get("opacity")
        encode = own and not s.data
        run_bands(h, lambda a, b: _kernels.surface_rows(rgb, alpha, encode, values, a, b))
    channels: dict[str, Floats] = {}
    for name in MADE:
        if name in made or (name in ("roughness", "metal") and planes.base != Base() and (changed or made)):
            v = np.broadcast_to(planes.get(name), (h, w, 3) if name in COLOURED else (h, w))
            v = TABLE[name].encoded(v)
            channels[name] = np.ascontiguousarray(np.clip(v if name in COLOURED else v[..., None], 0, 1), np.float32)
    return s.but(values=values, channels={**s.channels, **channels}, has_alpha=True if changed else s.has_alpha)

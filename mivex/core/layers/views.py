"""What is seen of a stack: one channel as a picture, and which row gave a texel its values."""

from dataclasses import dataclass

import numpy as np

from mivex.core.base.graph import Graph, Node
from mivex.core.base.types import Floats
from mivex.core.layers.channels import CHANNELS, COLOURED, TABLE
from mivex.core.layers.heights import normals_of, occlusion_of
from mivex.core.layers.model import Relief, Stack
from mivex.core.layers.stack import Planes
from mivex.core.pixels.colour import to_display
from mivex.core.prepare.base import Surface

CHANGED = 0.5 / 255
"""A channel counts as changed by a layer from this difference on."""


def channel_picture(surface: Surface, channel: str, relief: Relief) -> Floats:
    """One channel to be looked at or delivered, float32 (h, w, 3): colours in display values, heights about ½.

    ``normal`` counts green as the relief says; ``alpha`` is opacity. What no layer made is as it is by itself.
    """
    h, w = surface.alpha.shape
    full = surface.full_size
    short = min(full[0] / surface.extent[0], full[1] / surface.extent[1]) * (surface.scale if surface.scale < 1 else 1.0)
    if channel == "colour":
        return np.ascontiguousarray(surface.values[..., :3])
    if channel in ("opacity", "alpha"):
        return np.repeat(surface.alpha[..., None], 3, axis=2)
    if channel in ("normal", "occlusion"):
        height = surface.channels.get("height")
        if height is None:
            flat = (0.5, 0.5, 1.0) if channel == "normal" else (1.0, 1.0, 1.0)
            return np.broadcast_to(np.array(flat, np.float32), (h, w, 3)).copy()
        signed = height[..., 0] * 2 - 1
        if channel == "occlusion":
            return np.repeat(occlusion_of(signed, short, relief.reach, relief.strength)[..., None], 3, axis=2)
        n = normals_of(signed, short, relief.strength)
        if relief.green == "down":
            n[..., 1] = 1 - n[..., 1]
        return n
    v = surface.channels.get(channel)
    if v is None:
        return np.full((h, w, 3), TABLE[channel].usual, np.float32)
    return np.ascontiguousarray(np.broadcast_to(v, (h, w, 3)))


@dataclass(frozen=True)
class Explained:
    """Where a channel's value at a texel comes from.

    Attributes
    ----------
    channel : str
    value : tuple of float
        Display values for colours.
    row : str
        Id of the last row that changed it; empty: the base.
    name : str
    """

    channel: str
    value: tuple[float, ...]
    row: str
    name: str


def explained(graph: Graph, stack: Stack, nodes: list[Node], x: float, y: float) -> list[Explained]:
    """Which row gave each channel its value at a place, shares of the canvas; states come from the graph."""
    rows = [None, *(r for r in stack.rows if r.on)]
    found: dict[str, Explained] = {}
    last: dict[str, Floats] = {}
    for row, node in zip(rows, nodes, strict=False):
        planes: Planes = graph.value(node)
        for channel in CHANNELS:
            v = planes.get(channel)
            at = v[min(int(y * v.shape[0]), v.shape[0] - 1), min(int(x * v.shape[1]), v.shape[1] - 1)]
            now = np.atleast_1d(np.asarray(at, np.float32))
            if row is None or np.abs(now - last[channel]).max() > CHANGED:
                shown = to_display(now) if channel in COLOURED and not planes.start.data else now
                found[channel] = Explained(
                    channel, tuple(float(c) for c in shown), row.id if row else "", row.name if row else "the base"
                )
            last[channel] = now
    return [found[c] for c in CHANNELS]

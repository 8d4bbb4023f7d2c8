"""The channels that layers change: one table, of which menus, columns, brushes and what a stack computes are made.

A new channel is a row here and its name in `LayerChannel`; what the stage and a delivered file do with it stands in
`mivex.core.scene.material_binding` and `mivex.core.deliver.sources`.
"""

from dataclasses import dataclass
from typing import Any, Literal

import numpy as np

from mivex.core.base.types import Floats
from mivex.core.pixels.colour import to_display, to_linear

LayerChannel = Literal["colour", "opacity", "roughness", "metal", "height", "emissive"]


@dataclass(frozen=True)
class Channel:
    """One channel of a surface, as layers see it.

    Attributes
    ----------
    key, title, head : str
        Its name in files; its name; the same for a narrow column.
    coding : str
        How a stored value becomes the one that is computed with: ``colour`` is three display values, computed in linear
        light; ``signed`` lies about one half and is computed from −1 to 1; ``plain`` is the same.
    usual : float
        Stored value of a surface on which nothing made it.
    cell : dict
        What a cell starts as when the channel is first touched.
    ink : float or (r, g, b)
        What it is first painted with.
    """

    key: LayerChannel
    title: str
    head: str
    coding: Literal["plain", "signed", "colour"]
    usual: float
    cell: dict[str, Any]
    ink: Any

    @property
    def coloured(self) -> bool:
        """It has three values."""
        return self.coding == "colour"

    @property
    def low(self) -> float:
        """Least value that is computed with."""
        return -1.0 if self.coding == "signed" else 0.0

    def decoded(self, stored: Floats) -> Floats:
        """The values computed with, from stored ones."""
        if self.coding == "colour":
            return to_linear(np.ascontiguousarray(stored))
        return np.asarray(stored * np.float32(2) - np.float32(1), np.float32) if self.coding == "signed" else stored

    def encoded(self, values: Floats) -> Floats:
        """Stored values, from those that are computed with."""
        if self.coding == "colour":
            return to_display(np.ascontiguousarray(values))
        return np.asarray(values * np.float32(0.5) + np.float32(0.5), np.float32) if self.coding == "signed" else values


TABLE: dict[str, Channel] = {
    c.key: c
    for c in (
        Channel("colour", "Colour", "Colour", "colour", 0.0, {"colour": (0.6, 0.58, 0.52)}, ink=(0.25, 0.22, 0.18)),
        Channel("opacity", "Opacity", "Opacity", "plain", 1.0, {"number": 0.8}, ink=0.9),
        Channel("roughness", "Roughness", "Rough", "plain", 0.6, {"number": 0.8}, ink=0.9),
        Channel("metal", "Metal", "Metal", "plain", 0.0, {"number": 1.0}, ink=1.0),
        Channel("height", "Height", "Height", "signed", 0.5, {"number": 0.3, "join": "add"}, ink=0.3),
        Channel(
            "emissive", "Emissive", "Glow", "colour", 0.0, {"colour": (1, 0.85, 0.6), "join": "add"}, ink=(1.0, 0.8, 0.5)
        ),
    )
}
CHANNELS: dict[str, str] = {k: c.title for k, c in TABLE.items()}
"""Titles, in the order of the table."""
COLOURED = tuple(k for k, c in TABLE.items() if c.coloured)
"""Channels of three values."""
MADE = tuple(k for k in TABLE if k not in ("colour", "opacity"))
"""What a surface holds beside colour with opacity."""

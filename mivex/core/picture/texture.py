"""A prepared texture: what the delivered file will hold, and its mip chain."""

from dataclasses import dataclass
from functools import cached_property
from typing import Literal

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.types import Floats
from mivex.core.picture.picture import quantise
from mivex.core.pixels.colour import DECODE_8, to_display, to_linear
from mivex.core.pixels.coverage import keep_coverage
from mivex.core.pixels.kernels.colour import decode_codes
from mivex.core.pixels.mips import MipChain, build_chain


@dataclass(frozen=True, eq=False)
class Texture:
    """The end of the preparation, quantised to what the file will hold.

    Attributes
    ----------
    values : float32 array (height, width, 4)
        Stored values: display values for colour, plain values for data.
    meaning : {"colour", "data"}
        Colour is decoded to linear light texel by texel before any filtering.
    premultiplied : bool
        Colour has been multiplied by alpha; filtered as stored.
    bits : int
        Depth it was quantised to.
    has_alpha : bool
        The source had an alpha channel, or a step made one.
    key : str
        Name of the content, for caches.
    scale : float
        1, or the share of the full size when this is a proxy.
    full_size : tuple of int
        Width and height at full size.
    pivot : (x, y)
        The point that stands where the overlay is placed, as a share of width and height.
    coverage : float
        Cutoff at which every mip level keeps level 0's coverage; 0: levels as they come.
    extent : (x, y)
        Size of the frame against that of the picture it began as.
    spread : float
        Above 0, alpha is a signed distance over so many texels.
    notes : tuple of str
        What the artist should know of the steps' work.
    """

    values: Floats
    meaning: Literal["colour", "data"] = "colour"
    premultiplied: bool = False
    bits: int = 8
    has_alpha: bool = True
    key: str = ""
    scale: float = 1.0
    full_size: tuple[int, int] = (0, 0)
    pivot: tuple[float, float] = (0.5, 0.5)
    coverage: float = 0.0
    extent: tuple[float, float] = (1.0, 1.0)
    spread: float = 0.0
    notes: tuple[str, ...] = ()

    @property
    def width(self) -> int:
        """Width in texels."""
        return int(self.values.shape[1])

    @property
    def height(self) -> int:
        """Height in texels."""
        return int(self.values.shape[0])

    @property
    def alpha(self) -> Floats:
        """Alpha as a ``(height, width)`` view."""
        return self.values[..., 3]

    @property
    def linear(self) -> Floats:
        """Texels as a sampler decodes them: ``(height, width, 4)`` linear light, or data as stored."""
        return self.values if self.meaning == "data" else self.mips.level(0)

    def _decode(self, out: Floats) -> None:
        if self.meaning == "data":
            out[...] = self.values
            return
        if self.bits == 8:
            run_bands(self.height, lambda a, b: decode_codes(self.values, DECODE_8, out, a, b))
        else:
            out[..., :3] = to_linear(self.values[..., :3])
            out[..., 3] = self.values[..., 3]

    @cached_property
    def mips(self) -> MipChain:
        """The chain that hardware would build and sample; or the one delivered with it, that keeps coverage."""
        chain = build_chain(self.values.shape[:2], self._decode)
        return keep_coverage(chain, self.coverage) if self.coverage > 0 else chain

    @cached_property
    def true_mips(self) -> MipChain:
        """The chain of premultiplied colour: what filtering should have given."""
        if self.premultiplied:
            return self.mips
        def fill(out: Floats) -> None:
            np.multiply(self.linear[..., :3], self.linear[..., 3:], out=out[..., :3])
            out[..., 3] = self.linear[..., 3]

        return build_chain(self.values.shape[:2], fill)

    @property
    def stored_levels(self) -> list[Floats]:
        """Coarser mip levels as a file would hold them: display values for colour, rounded to `bits`."""
        rows = []
        for i in range(1, self.mips.levels):
            level = self.mips.level(i).copy()
            if self.meaning == "colour":
                level[..., :3] = to_display(level[..., :3])
            rows.append(quantise(level, self.bits))
        return rows

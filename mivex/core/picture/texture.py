"""A prepared texture: what the delivered file will hold, and its mip chain."""

from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from functools import cached_property
from typing import Any, Literal

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.picture.picture import quantise
from mivex.core.picture.traits import PLAIN, ImageMetadata, ImageMixin
from mivex.core.pixels.colour import DECODE_8, to_display, to_linear
from mivex.core.pixels.coverage import keep_coverage
from mivex.core.pixels.mips import MipChain, build_chain

_kernels = Lazy("mivex.core.pixels.kernels.colour")


@dataclass(frozen=True, eq=False, init=False)
class Texture(ImageMixin):
    """The end of the preparation, quantised to what the file will hold.

    Attributes
    ----------
    values : float32 array (height, width, 4)
        Stored values: display values for colour, plain values for data.
    traits : ImageMetadata
        Colour is decoded to linear light texel by texel before any filtering; data is not. A premultiplied one is
        filtered as stored.
    bits : int
        Depth it was quantised to.
    key : str
        Name of the content, for caches.
    notes : tuple of str
        What the artist should know of the steps' work.
    channels : mapping of name to Texture
        What else the surface is made of, each a data texture of the same size.
    """

    values: Floats
    traits: ImageMetadata = PLAIN
    bits: int = 8
    key: str = ""
    notes: tuple[str, ...] = ()
    channels: "Mapping[str, Texture]" = field(default_factory=dict)

    def __init__(
        self,
        values: Floats,
        meaning: Literal["colour", "data"] | None = None,
        *,
        traits: ImageMetadata = PLAIN,
        bits: int = 8,
        key: str = "",
        notes: tuple[str, ...] = (),
        channels: "Mapping[str, Texture] | None" = None,
        **changes: Any,
    ) -> None:
        # As for a surface, traits may be given one by one.
        if meaning is not None:
            changes["data"] = meaning == "data"
        for name, value in (
            ("values", values),
            ("traits", traits.but(**changes)),
            ("bits", bits),
            ("key", key),
            ("notes", notes),
            ("channels", channels or {}),
        ):
            object.__setattr__(self, name, value)

    @property
    def meaning(self) -> Literal["colour", "data"]:
        """``colour`` or ``data``."""
        return "data" if self.traits.data else "colour"

    @property
    def linear(self) -> Floats:
        """Texels as a sampler decodes them: ``(height, width, 4)`` linear light, or data as stored."""
        return self.values if self.meaning == "data" else self.mips.level(0)

    def _decode(self, out: Floats) -> None:
        if self.meaning == "data":
            out[...] = self.values
            return
        if self.bits == 8:
            run_bands(self.height, lambda a, b: _kernels.decode_codes(self.values, DECODE_8, out, a, b))
        else:
            out[..., :3] = to_linear(self.values[..., :3])
            out[..., 3] = self.values[..., 3]

    @cached_property
    def mips(self) -> MipChain:
        """The chain that hardware would build and sample; or the one delivered with it, that keeps coverage."""
        chain = build_chain(self.values.shape[:2], self._decode)
        if self.traits.weighed and not self.premultiplied:
            chain = self._weighed(chain)
        return keep_coverage(chain, self.coverage) if self.coverage > 0 else chain

    def _weighed(self, chain: MipChain) -> MipChain:
        """The same levels, their colour averaged with alpha as its weight; clear texels keep theirs."""

        def fill(out: Floats) -> None:
            first = chain.level(0)
            np.multiply(first[..., :3], first[..., 3:], out=out[..., :3])
            out[..., 3] = first[..., 3]

        true = build_chain(self.values.shape[:2], fill).texels
        texels = chain.texels.copy()
        began = self.width * self.height
        a = true[began:, 3:]
        np.divide(true[began:, :3], a, out=texels[began:, :3], where=a > 1e-6)
        return replace(chain, texels=texels)

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

"""What is true of a picture besides its texels: one record, held by everything that is a picture."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from types import MappingProxyType
from typing import Any, Literal

from mivex.core.base.types import Floats

ChannelKind = Literal["roughness", "metal", "normal", "height", "occlusion", "emissive"]
"""Channels that a surface may have besides colour with opacity."""


FrameRect = tuple[float, float, float, float]
"""Left, top, right and low end of a sheet's cell, as shares of the picture."""


@dataclass(frozen=True)
class ImageMetadata:
    """Traits of a picture.

    Attributes
    ----------
    data : bool
        Not a colour picture: display and linear are then the same.
    has_alpha : bool
        The file had alpha, or a step has made one.
    premultiplied : bool
        Colour has been multiplied by alpha.
    pivot : (x, y)
        The point that stands where the overlay is placed, as a share of width and height.
    extent : (x, y)
        Size of the frame against that of the picture it began as; trimming and padding change it, so that
        what is seen keeps its size on the stage.
    distance : float
        Above 0, alpha is a signed distance over so many texels.
    coverage : float
        Cutoff at which every mip level shall keep level 0's coverage; 0: levels as they come.
    weighed : bool
        The file will hold mip levels, whose colour is averaged with alpha as its weight: far levels have no fringe.
    cells : tuple of FrameRect
        It is a sheet: where its frames lie, in their order. Pivot and extent are then those of a frame.
    scale : float
        Size against the full picture; below 1 for a proxy. Distances in pixels are multiplied by it.
    full : (width, height)
        What a proxy stands for; see `Pictured.full_size`.
    """

    data: bool = False
    has_alpha: bool = True
    premultiplied: bool = False
    pivot: tuple[float, float] = (0.5, 0.5)
    extent: tuple[float, float] = (1.0, 1.0)
    distance: float = 0.0
    coverage: float = 0.0
    weighed: bool = False
    cells: tuple[FrameRect, ...] = ()
    scale: float = 1.0
    full: tuple[int, int] = (0, 0)

    def but(self, **changes: Any) -> "ImageMetadata":
        """A copy with some traits changed."""
        return replace(self, **changes) if changes else self


PLAIN = ImageMetadata()
"""A colour picture with alpha, at full size."""
NO_CHANNELS: Mapping[str, Floats] = MappingProxyType({})


class ImageMixin:
    """Texels with traits: what pictures on their way and finished textures share."""

    values: Floats
    traits: ImageMetadata

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
    def data(self) -> bool:
        """Whether values are data: they are not decoded to light before they are filtered."""
        return self.traits.data

    @property
    def has_alpha(self) -> bool:
        """The file had alpha, or a step has made one."""
        return self.traits.has_alpha

    @property
    def premultiplied(self) -> bool:
        """Colour has been multiplied by alpha."""
        return self.traits.premultiplied

    @property
    def pivot(self) -> tuple[float, float]:
        """The point that stands where the overlay is placed, as a share of width and height."""
        return self.traits.pivot

    @property
    def extent(self) -> tuple[float, float]:
        """Size of the frame against that of the picture it began as."""
        return self.traits.extent

    @property
    def distance(self) -> float:
        """Above 0, alpha is a signed distance over so many texels."""
        return self.traits.distance

    @property
    def coverage(self) -> float:
        """Cutoff at which every mip level keeps level 0's coverage; 0: levels as they come."""
        return self.traits.coverage

    @property
    def scale(self) -> float:
        """1, or the share of the full size when this is a proxy."""
        return self.traits.scale

    @property
    def full_size(self) -> tuple[int, int]:
        """Width and height that the picture has, or that this proxy stands for."""
        full = self.traits.full
        return full if self.traits.scale < 1 and full[0] else (self.width, self.height)

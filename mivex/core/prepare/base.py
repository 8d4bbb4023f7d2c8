"""What every preparation step is made of: a parameter model and a pure function on arrays."""

from collections.abc import Callable
from dataclasses import dataclass, replace
from typing import Any, ClassVar, Literal

import numpy as np
from pydantic import BaseModel, ConfigDict, Field

from mivex.core.base.settings import Rgb
from mivex.core.base.types import Floats
from mivex.core.picture.picture import Picture
from mivex.core.pixels.colour import to_display, to_linear

Station = Literal["source", "alpha", "colour", "edges"]

Space = Literal["display", "linear"]


class StepParams(BaseModel):
    """Settings of one step in a recipe; `step` names it, `on` switches it."""

    model_config = ConfigDict(frozen=True, extra="allow", validate_default=True, allow_inf_nan=False)

    WHEN: ClassVar[dict[str, tuple[str, tuple[Any, ...]]]] = {}
    """Settings that matter only while another one has one of some values: name -> (other, values)."""

    step: str
    on: bool = Field(True, title="On", description="Switched off, the step changes nothing.")


@dataclass(frozen=True, eq=False)
class Surface:
    """A picture on its way through a recipe.

    Attributes
    ----------
    values : float32 array (height, width, 4)
        Straight RGBA; display values for colour, plain values for data. Steps
        never change it in place.
    data : bool
        Not a colour picture: display and linear are then the same.
    has_alpha : bool
        The file had alpha, or a step has made one.
    premultiplied : bool
        A step has multiplied colour by alpha.
    scale : float
        Size against the full picture; distances in pixels are multiplied by it.
    pivot : (x, y)
        The point that stands where the overlay is placed, as a share of width and height.
    coverage : float
        Cutoff at which every mip level shall keep level 0's coverage; 0: levels as they come.
    extent : (x, y)
        Size of the frame against that of the picture it began as; trimming and padding change it, so that
        what is seen keeps its size on the stage.
    spread : float
        Above 0, alpha is a signed distance over so many texels.
    full : (width, height)
        What a proxy stands for; see `full_size`.
    """

    values: Floats
    data: bool = False
    has_alpha: bool = True
    premultiplied: bool = False
    scale: float = 1.0
    pivot: tuple[float, float] = (0.5, 0.5)
    coverage: float = 0.0
    extent: tuple[float, float] = (1.0, 1.0)
    spread: float = 0.0
    full: tuple[int, int] = (0, 0)

    @property
    def full_size(self) -> tuple[int, int]:
        """Width and height that the picture has, or that this proxy stands for."""
        return self.full if self.scale < 1 and self.full[0] else (self.values.shape[1], self.values.shape[0])

    @property
    def alpha(self) -> Floats:
        """Alpha as a ``(height, width)`` view."""
        return self.values[..., 3]

    def with_alpha(self, alpha: Floats) -> "Surface":
        """Same colour, other alpha, clipped to [0, 1]."""
        out = self.values.copy()
        np.clip(alpha, 0, 1, out=out[..., 3])
        return replace(self, values=out, has_alpha=True)

    def with_colour(self, rgb: Floats) -> "Surface":
        """Same alpha, other colour."""
        out = self.values.copy()
        out[..., :3] = rgb
        return replace(self, values=out)

    def rgb_in(self, space: Space) -> Floats:
        """Colour in display values or linear light, ``(height, width, 3)``."""
        rgb = self.values[..., :3]
        return to_linear(rgb) if space == "linear" and not self.data else rgb

    def rgb_from(self, rgb: Floats, space: Space) -> Floats:
        """Bring colour of the given space back to stored values."""
        return to_display(rgb) if space == "linear" and not self.data else rgb


@dataclass(frozen=True)
class Context:
    """What a step may need from outside.

    Attributes
    ----------
    load : callable
        Takes a path as the recipe has it and returns the Picture; raises MivexError.
    place : callable
        Takes a path as the recipe has it and returns the absolute one, for files that are not pictures.
    """

    load: Callable[[str], Picture]
    place: Callable[[str], str] = lambda path: path


@dataclass(frozen=True)
class Step:
    """A registered step.

    Attributes
    ----------
    params : type of StepParams
        Its settings.
    run : callable
        ``run(surface, params, context) -> Surface``; pure.
    label, hint : str
        Name in the list of steps; what it does to the picture.
    station : str
        Where on the track it belongs.
    files : callable
        Paths of other pictures that it reads, for watching and caching.
    note : callable
        ``note(surface, params) -> str``: what the artist should know of its work on this surface, or nothing.
    """

    params: type[StepParams]
    run: Callable[[Surface, Any, Context], Surface]
    label: str
    hint: str
    station: Station
    files: Callable[[Any], list[str]] = lambda params: []
    note: Callable[[Surface, Any], str] = lambda surface, params: ""

    @property
    def name(self) -> str:
        """The word that names it in a recipe."""
        return str(self.params.model_fields["step"].default)


def colour_in(rgb: Rgb, space: Space, data: bool) -> Floats:
    """A colour given in display values, in the space the step works in; float32 (3,)."""
    value = np.array(rgb, np.float32)
    return to_linear(value) if space == "linear" and not data else value

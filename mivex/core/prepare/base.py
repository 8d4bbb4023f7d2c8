"""What every preparation step is made of: a parameter model and a pure function on arrays."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from typing import Any, ClassVar, Literal

import numpy as np
from pydantic import BaseModel, ConfigDict, Field

from mivex.core.base.settings import Rgb
from mivex.core.base.types import Floats
from mivex.core.picture.picture import Picture
from mivex.core.picture.traits import NO_CHANNELS, PLAIN, ImageMetadata, ImageMixin
from mivex.core.pixels.colour import to_display, to_linear

Station = Literal["source", "alpha", "colour", "edges"]

Space = Literal["display", "linear"]


class StepParams(BaseModel):
    """Settings of one step in a recipe; `step` names it, `on` switches it."""

    model_config = ConfigDict(frozen=True, defer_build=True, extra="allow", validate_default=True, allow_inf_nan=False)

    WHEN: ClassVar[dict[str, tuple[str, tuple[Any, ...]]]] = {}
    """Settings that matter only while another one has one of some values: name -> (other, values)."""

    step: str
    on: bool = Field(True, title="On", description="Switched off, the step changes nothing.")


@dataclass(frozen=True, eq=False, init=False)
class Surface(ImageMixin):
    """A picture on its way through a recipe.

    Attributes
    ----------
    values : float32 array (height, width, 4)
        Straight RGBA; display values for colour, plain values for data. Steps
        never change it in place.
    traits : ImageMetadata
    channels : mapping of name to float32 array (height, width, 1 or 3)
        What else the surface is made of: roughness, metal, height (about one half), emissive (display values). Steps
        that move texels move these along.
    """

    values: Floats
    traits: ImageMetadata = PLAIN
    channels: Mapping[str, Floats] = field(default_factory=lambda: NO_CHANNELS)

    def __init__(
        self,
        values: Floats,
        data: bool | None = None,
        *,
        traits: ImageMetadata = PLAIN,
        channels: Mapping[str, Floats] = NO_CHANNELS,
        **changes: Any,
    ) -> None:
        # Traits may be given one by one, on top of a record.
        if data is not None:
            changes["data"] = data
        object.__setattr__(self, "values", values)
        object.__setattr__(self, "traits", traits.but(**changes))
        object.__setattr__(self, "channels", channels)

    def but(
        self, *, values: Floats | None = None, channels: Mapping[str, Floats] | None = None, **changes: Any
    ) -> "Surface":
        """The same with other texels, channels or traits."""
        return Surface(
            self.values if values is None else values,
            traits=self.traits.but(**changes),
            channels=self.channels if channels is None else channels,
        )

    def with_alpha(self, alpha: Floats) -> "Surface":
        """Same colour, other alpha, clipped to [0, 1]."""
        out = self.values.copy()
        np.clip(alpha, 0, 1, out=out[..., 3])
        return self.but(values=out, has_alpha=True)

    def with_colour(self, rgb: Floats) -> "Surface":
        """Same alpha, other colour."""
        out = self.values.copy()
        out[..., :3] = rgb
        return self.but(values=out)

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
    moves : bool
        It moves texels: whatever else the surface is made of is moved along.
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
    moves: bool = False

    def apply(self, surface: Surface, params: Any, context: "Context") -> Surface:
        """Run it on a surface and on all its channels.

        A channel is moved as colour would be: with the surface's own alpha, by which the step decides where to.
        """
        made = self.run(surface, params, context)
        if not self.moves or not surface.channels or made is surface:
            return made
        moved = {}
        for name, values in surface.channels.items():
            carried = np.concatenate([np.broadcast_to(values, (*values.shape[:2], 3)), surface.values[..., 3:]], axis=2)
            carrier = Surface(carried, traits=surface.traits.but(data=True))
            moved[name] = np.ascontiguousarray(self.run(carrier, params, context).values[..., : values.shape[2]])
        return made.but(channels=moved)

    @property
    def name(self) -> str:
        """The word that names it in a recipe."""
        return str(self.params.model_fields["step"].default)


def colour_in(rgb: Rgb, space: Space, data: bool) -> Floats:
    """A colour given in display values, in the space the step works in; float32 (3,)."""
    value = np.array(rgb, np.float32)
    return to_linear(value) if space == "linear" and not data else value

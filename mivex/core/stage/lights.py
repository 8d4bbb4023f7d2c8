"""Settings of the light: environment, lamp with shadows, exposure and view curve."""

import math
from dataclasses import dataclass, replace
from typing import Literal

import numpy as np

from mivex.core.base.settings import OmitDefaultsModel, setting
from mivex.core.base.types import Doubles

EnvironmentName = Literal["overcast", "hall", "spots", "evening"]
ENVIRONMENTS: dict[str, tuple[str, str]] = {
    "overcast": ("Overcast", "An even sky: soft, without colour; faults of alpha show best."),
    "hall": ("Work hall", "Strip lights over a grey hall, without colour."),
    "spots": ("Small lights", "A few small lights in a dark room, without colour: what is smooth glints."),
    "evening": ("Evening", "A low warm sun under a blue sky. Coloured: it misleads the eye on purpose."),
}
"""Name and what it shows, by key."""


@dataclass(frozen=True)
class PointLamp:
    """A lamp near by, which casts no shadow.

    Attributes
    ----------
    at : (x, y, z)
        Metres.
    reach : float
        Metres after which nothing of it is left.
    colour : (r, g, b)
        Linear; what falls on a surface that faces it at one metre.
    """

    at: tuple[float, float, float]
    reach: float
    colour: tuple[float, float, float]

    @property
    def strength(self) -> float:
        """Its largest channel."""
        return max(self.colour)

    @property
    def unit(self) -> "PointLamp":
        """The same lamp at a strength of one: it adds so many times what this adds."""
        s = max(self.strength, 1e-9)
        r, g, b = (round(c / s, 5) for c in self.colour)
        return replace(self, colour=(r, g, b))


class Lighting(OmitDefaultsModel):
    """What the stage is lit by, and how its light is brought to the screen."""

    environment: EnvironmentName = setting(
        "hall",
        "Environment",
        "What is mirrored, and the light from all round.",
        choices={"overcast": "Overcast", "hall": "Work hall", "spots": "Small lights", "evening": "Evening, coloured"},
    )
    turn: float = setting(0.0, "Turned", "Turns the environment round the stage.", unit="°", ge=-180, le=180)
    strength: float = setting(
        1.0, "Ambient light", "Brightness of everything that comes from all round.", unit="×", ge=0, le=8, drag=(0, 2)
    )
    lamp: float = setting(
        0.55, "Lamp", "Brightness of the one lamp, far away; 0 puts it out.", unit="×", ge=0, le=16, drag=(0, 3)
    )
    lamp_turn: float = setting(
        33.0, "Lamp direction", "Direction round the stage that the lamp shines from.", unit="°", ge=-180, le=180
    )
    lamp_height: float = setting(
        46.0, "Lamp height", "Height of the lamp over the horizon; low ones cast long shadows.", unit="°", ge=2, le=90
    )
    shadows: bool = setting(True, "Shadows", "What is solid, cut out or dithered keeps the lamp off what lies behind.")
    exposure: float = setting(
        0.0,
        "Exposure",
        "Brightness of the whole picture in stops; overlays are not changed.",
        unit="stops",
        ge=-6,
        le=6,
        drag=(-3, 3),
    )
    curve: Literal["plain", "soft"] = setting(
        "plain",
        "View curve",
        "Plain cuts off at white; soft bends the brightest fifth over, so that light keeps shape.",
        choices={"plain": "Plain", "soft": "Soft shoulder"},
    )
    blending: Literal["linear", "display"] = setting(
        "linear",
        "Blends in",
        "Linear light, or display values, as some receivers do: soft edges and faint layers look otherwise there.",
        choices={"linear": "Linear light", "display": "Display values"},
    )

    @property
    def towards_lamp(self) -> Doubles:
        """Unit direction to the lamp."""
        t, h = math.radians(self.lamp_turn), math.radians(self.lamp_height)
        return np.array([math.sin(t) * math.cos(h), math.sin(h), math.cos(t) * math.cos(h)])

    @property
    def shading(self) -> tuple[object, ...]:
        """Everything that changes linear light, and nothing that only changes how it is shown."""
        return (
            self.environment,
            self.turn,
            self.strength,
            self.lamp,
            self.lamp_turn,
            self.lamp_height,
            self.shadows,
            self.blending,
        )

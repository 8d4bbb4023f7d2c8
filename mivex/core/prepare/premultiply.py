"""Step ``premultiply``: multiply colour by alpha, for the Premultiplied blend."""

from typing import Literal

from mivex.core.prepare.base import Context, Step, StepParams, Surface
from mivex.core.prepare.weighing import premultiplied


class Premultiply(StepParams):
    """Settings of ``premultiply``: none."""

    step: Literal["premultiply"] = "premultiply"


def run(surface: Surface, params: Premultiply, context: Context) -> Surface:
    """Store ``C·α``, multiplied in linear light; a second time changes nothing."""
    if surface.premultiplied:
        return surface
    return surface.but(values=premultiplied(surface.values, surface.traits), premultiplied=True)


STEP = Step(
    Premultiply,
    run,
    "Premultiply",
    "Multiply colour by alpha, so that filtering cannot leak; needs the Premultiplied blend.",
    "edges",
)

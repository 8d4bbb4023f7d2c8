"""Step ``fall-off``: fade the alpha by a radial, linear or box fall-off placed in the picture."""

from typing import ClassVar, Literal

import numpy as np

from mivex.core.base.settings import setting
from mivex.core.prepare.base import Context, Step, Surface
from mivex.core.prepare.falloff import FallOffFields, fall_off


class FallOff(FallOffFields):
    """Settings of ``fall-off``."""

    WHEN: ClassVar = {"stretch": ("shape", ("radial", "box"))}

    step: Literal["fall-off"] = "fall-off"
    how: Literal["multiply", "subtract", "maximum", "replace"] = setting(
        "multiply",
        "Join by",
        "Multiply fades the alpha outside it, subtract clears inside it, maximum adds it, "
        "replace puts it in the alpha's place.",
        choices={"multiply": "Multiply", "subtract": "Subtract", "maximum": "Maximum", "replace": "Replace"},
    )
    invert: bool = setting(False, "Invert", "Turns it round: clear in the middle.")
    amount: float = setting(1.0, "Amount", "0 leaves the alpha as it was.", ge=0, le=1)


def run(surface: Surface, params: FallOff, context: Context) -> Surface:
    """``α·m``, ``α − m``, ``max(α, m)`` or ``m``, mixed in by ``amount``; 0 changes nothing."""
    if params.amount == 0:
        return surface
    m = fall_off(params, surface)
    if params.invert:
        m = 1 - m
    a = surface.alpha
    joined = {
        "multiply": lambda: a * m,
        "subtract": lambda: a - m,
        "maximum": lambda: np.maximum(a, m),
        "replace": lambda: m,
    }[params.how]()
    return surface.with_alpha(joined if params.amount == 1 else a + (np.clip(joined, 0, 1) - a) * np.float32(params.amount))


STEP = Step(
    FallOff,
    run,
    "Fall-off",
    "Fades the alpha round a point, across a line or towards the sides of a box; place it with the handles.",
    "alpha",
)

"""Step ``keep-coverage``: every mip level of a cutout covers as much as level 0."""

from typing import Literal

from mivex.core.base.settings import setting
from mivex.core.prepare.base import Context, Step, StepParams, Surface


class KeepCoverage(StepParams):
    """Settings of ``keep-coverage``."""

    step: Literal["keep-coverage"] = "keep-coverage"
    cutoff: float = setting(0.5, "Cutoff", "The material's cutoff: from this alpha on a texel is drawn.", ge=0.01, le=0.99)


def run(surface: Surface, params: KeepCoverage, context: Context) -> Surface:
    """Note the cutoff; the levels are scaled when the chain is built (see `mivex.core.pixels.coverage`)."""
    return surface.but(coverage=params.cutoff)


STEP = Step(
    KeepCoverage,
    run,
    "Keep coverage",
    "Holes and meshes keep their share in the distance: scaled mip levels in a TIFF, a better cutoff elsewhere.",
    "edges",
)

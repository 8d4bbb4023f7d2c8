"""Step ``build``: a build of layers as a step of a recipe, so that pipelines can use it."""

from typing import Literal

from mivex.core.base.errors import MivexError
from mivex.core.base.settings import setting
from mivex.core.base.types import Floats
from mivex.core.layers.builds import build_named, instance
from mivex.core.layers.channels import MADE, TABLE
from mivex.core.layers.masks import LayerInputs, Values
from mivex.core.layers.model import Base, Stack
from mivex.core.layers.stack import Planes, applied, surface_of
from mivex.core.picture.picture import Picture
from mivex.core.prepare.base import Context, Step, StepParams, Surface


class ApplyBuild(StepParams):
    """Settings of ``build``."""

    step: Literal["build"] = "build"
    name: str = setting("Clean pane", "Build", "Which build of layers is laid over the picture.", widget="build")
    strength: float = setting(1.0, "Strength", "Fades all of it.", ge=0, le=1)


def run(surface: Surface, params: ApplyBuild, context: Context) -> Surface:
    """Lay a build over the surface; strength 0 changes nothing."""
    if params.strength == 0:
        return surface
    group = instance(build_named(params.name)).model_copy(update={"strength": params.strength})
    h, w = surface.alpha.shape

    def picture(path: str) -> Floats:
        found: Picture = context.load(path)
        return found.values

    def overlay(_key: str) -> Surface:
        raise MivexError("a recipe has no other overlays.")

    values = Values(Stack(rows=(group,)), LayerInputs((h, w), picture, overlay, linear=lambda p: context.load(p).linear))
    start = {}
    for name in MADE:
        if name in surface.channels:
            stored = surface.channels[name]
            start[name] = TABLE[name].decoded(stored if TABLE[name].coloured else stored[..., 0])
    made = surface_of(applied(Planes(surface, Base(), False, start), group, values))
    if values.outside.notes:
        raise MivexError(values.outside.notes[0])
    return made


STEP = Step(
    ApplyBuild,
    run,
    "Build of layers",
    "Lays a named build over the picture: glass that is dirty, decals that are worn.",
    "source",
)

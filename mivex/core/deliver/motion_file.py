"""Motion files: an effect as documented JSON, with a schema of its own (`mivex schema --of motion`)."""

from collections.abc import Mapping

from pydantic import Field

from mivex import __version__
from mivex.core.base.messages import Message
from mivex.core.base.settings import Frozen
from mivex.core.motion.model import TICKS, Effect, Vec3, whole
from mivex.core.project.document import Document
from mivex.core.scene.playback import EmitterSimulations
from mivex.core.stage.surroundings import World

MOTION_VERSION = 1


class MotionFile(Frozen):
    """An effect as it is delivered: emitters, their curves, what they show, and what surrounds them."""

    motion: int = Field(MOTION_VERSION, description="Version of the format.")
    written_by: str = Field("", description="For people.")
    name: str = Field(description="Name of the effect.")
    steps_a_second: int = Field(TICKS, description="Forces are applied in steps of this length, at their end.")
    random: str = Field(
        "Philox 4×64-10, key (seed, birth), counter (block, emitter, 0, 0)",
        description="Where each particle's random numbers come from.",
    )
    wind: Vec3 = Field((0.0, 0.0, 0.0), description="Metres a second.")
    effect: Effect = Field(description="The effect, with what it takes from the one that it is a copy of.")
    sheets: dict[str, str] = Field(default_factory=dict, description="Blend sheet of each overlay that it shows, by id.")
    bounds: tuple[Vec3, Vec3] = Field(description="Low and high corner of the box that its particles never leave, metres.")
    margin: float = Field(0.0, description="Share of the box that was added to what was followed; 0: closed form.")


def motion_file(doc: Document, effect: Effect, sheets: Mapping[str, str], world: World) -> MotionFile:
    """An effect as it is delivered.

    Parameters
    ----------
    doc : Document
    effect : Effect
    sheets : mapping of overlay id to file name
        Blend sheets that were delivered.
    world : World
    """
    found = whole(effect, doc.effects)
    box = EmitterSimulations().bounds(doc, found, world)
    low, high = ((float(v[0]), float(v[1]), float(v[2])) for v in (box.low, box.high)) if box else (effect.at, effect.at)
    shown = {p.overlay: sheets[p.overlay] for p in found.parts if p.overlay in sheets}
    return MotionFile(
        written_by=Message("Mivex {version}", version=__version__),
        name=effect.name,
        wind=doc.air.wind,
        effect=found,
        sheets=shown,
        bounds=(low, high),
        margin=box.margin if box else 0.0,
    )

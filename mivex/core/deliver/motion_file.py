"""Motion files: an effect as documented JSON, with a schema of its own (`mivex schema --of motion`)."""

from collections.abc import Callable, Iterable, Mapping
from types import MappingProxyType
from typing import Any

from pydantic import Field

from mivex import __version__
from mivex.core.base.errors import Stopped
from mivex.core.base.messages import Message
from mivex.core.base.settings import Frozen
from mivex.core.motion.births import stream_of
from mivex.core.motion.model import TICKS, Effect, Vec3, whole
from mivex.core.motion.simulate import Particles
from mivex.core.project.document import Document
from mivex.core.scene.playback import EmitterSimulations
from mivex.core.stage.surroundings import World

MOTION_VERSION = 1
NO_MESHES: Mapping[str, str] = MappingProxyType({})


class MotionFile(Frozen):
    """An effect as it is delivered: emitters, their curves, what they show, and what surrounds them."""

    motion: int = Field(MOTION_VERSION, description="Version of the format.")
    written_by: str = Field("", description="For people.")
    name: str = Field(description="Name of the effect.")
    steps_a_second: int = Field(TICKS, description="Forces are applied in steps of this length, at their end.")
    random: str = Field(
        "Philox 4×64-10, key (seed, birth), counter (block, stream, 0, 0)",
        description="Where each particle's random numbers come from.",
    )
    streams: dict[str, str] = Field(
        default_factory=dict, description="Number of each part's first stream, by the part's id; digits, beyond 2⁵³."
    )
    meshes: dict[str, str] = Field(
        default_factory=dict, description="File beside this one for each mesh on which particles are born."
    )
    solids: str = Field("", description="File beside this one with what is solid; empty: no part meets anything.")
    wind: Vec3 = Field((0.0, 0.0, 0.0), description="Metres a second.")
    effect: Effect = Field(description="The effect, with what it takes from the one that it is a copy of.")
    sheets: dict[str, str] = Field(default_factory=dict, description="Blend sheet of each overlay that it shows, by id.")
    bounds: tuple[Vec3, Vec3] = Field(description="Low and high corner of the box that its particles never leave, metres.")
    margin: float = Field(0.0, description="Share of the box that was added to what was followed; 0: closed form.")


SOLIDS = "motion.solids.glb"
CHECK = "motion.check.json"
TIMES = (0.25, 1.0, 2.6, 5.0, 12.375)
"""Seconds at which a delivery says where every particle is."""


def meets_solids(effect: Effect) -> bool:
    """Whether a part of a whole effect meets what is solid."""
    return any(p.life.solids != "through" for p in effect.parts)


def birth_meshes(effects: Iterable[Effect], world: World) -> dict[str, str]:
    """File names, by path, for the meshes on which particles of whole effects are born."""
    paths = {
        p.emission.mesh: None
        for e in effects
        for p in e.parts
        if p.emission.form == "mesh" and p.emission.mesh in world.meshes
    }
    return {path: f"motion.born-{k}.glb" for k, path in enumerate(paths, 1)}


def check_file(doc: Document, effects: Mapping[str, Effect], world: World, stop: Callable[[], bool]) -> dict[str, Any]:
    """Where every particle of whole effects (by file name) is at `TIMES`, for whoever draws them anew."""
    told: dict[str, Any] = {}
    for name, effect in effects.items():
        flows = EmitterSimulations()
        told[name] = []
        for time in TIMES:
            if stop():
                raise Stopped
            parts = {p.id: _told(flows.particles(doc, effect, p, world, time)) for p in effect.parts if not p.muted}
            told[name].append({"time": time, "parts": parts})
    return {"check": 1, "effects": told}


def _told(p: Particles) -> list[dict[str, Any]]:
    rows = zip(p.position, p.size, p.turn, p.opacity, p.frame, strict=True)
    return [
        {
            "place": [round(float(v), 9) for v in at],
            "size": [round(float(v), 9) for v in size],
            "turn": round(float(turn), 7),
            "opacity": round(float(opacity), 9),
            "frame": round(float(frame), 9),
        }
        for at, size, turn, opacity, frame in rows
    ]


def motion_file(
    doc: Document, effect: Effect, sheets: Mapping[str, str], world: World, meshes: Mapping[str, str] = NO_MESHES
) -> MotionFile:
    """An effect as it is delivered.

    Parameters
    ----------
    doc : Document
    effect : Effect
    sheets : mapping of overlay id to file name
        Blend sheets that were delivered.
    world : World
    meshes : mapping
        Files of the meshes on which particles are born, by path.
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
        streams={p.id: str(stream_of(p)) for p in found.parts},
        meshes={p: meshes[p] for p in dict.fromkeys(x.emission.mesh for x in found.parts) if p in meshes},
        solids=SOLIDS if meets_solids(found) else "",
        sheets=shown,
        bounds=(low, high),
        margin=box.margin if box else 0.0,
    )

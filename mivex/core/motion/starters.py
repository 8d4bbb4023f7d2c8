"""Beginnings of effects, by purpose: each is meant to be changed."""

from collections.abc import Callable
from dataclasses import dataclass, field

from mivex.core.motion.curves import Curve, Ramp, Stop
from mivex.core.motion.model import Birth, Burst, Effect, Emission, Emitter, Facing, Lamp, Life


@dataclass(frozen=True)
class Starter:
    """One beginning.

    Attributes
    ----------
    title, what : str
        Its name, and what it is for.
    parts : callable
        ``parts(overlay)`` gives its emitters, which show an overlay.
    lamp : Lamp
    height : float
        Metres above the floor at which it begins well.
    """

    title: str
    what: str
    parts: Callable[[str], tuple[Emitter, ...]]
    lamp: Lamp = field(default_factory=Lamp)
    height: float = 0.3


def _curve(*points: tuple[float, float], smooth: bool = True) -> Curve:
    return Curve(points=points, smooth=smooth)


_FADE = _curve((0.0, 0.0), (0.15, 1.0), (0.6, 0.8), (1.0, 0.0))
_DIES = _curve((0.0, 1.0), (0.6, 0.9), (1.0, 0.0))
_TURNED = (-180.0, 180.0)


def _plume(overlay: str) -> tuple[Emitter, ...]:
    return (
        Emitter(
            name="Plume",
            overlay=overlay,
            emission=Emission(rate=5, duration=3, form="disc", size=(0.3, 0.1, 0.1), cone=16, warm=True),
            birth=Birth(
                life=(2.0, 2.8), width=(0.26, 0.4), speed=(0.7, 1.0), turn=_TURNED, spin=(-25, 25), opacity=(0.55, 0.8)
            ),
            life=Life(size=_curve((0.0, 0.5), (1.0, 1.8)), opacity=_FADE, drag=0.1, drift=0.08, drift_scale=1.4, wind=0.6),
        ),
    )


def _burst(overlay: str) -> tuple[Emitter, ...]:
    return (
        Emitter(
            name="Burst",
            overlay=overlay,
            emission=Emission(
                rate=0,
                bursts=(Burst(count=(18, 24)),),
                runs="once",
                duration=0.2,
                form="sphere",
                size=(0.08, 0.1, 0.1),
                way="out",
            ),
            birth=Birth(life=(0.9, 1.6), width=(0.2, 0.4), speed=(0.8, 1.8), turn=_TURNED, spin=(-60, 60)),
            life=Life(
                size=_curve((0.0, 0.4), (0.25, 1.0), (1.0, 1.5)),
                opacity=_curve((0.0, 0.0), (0.06, 1.0), (1.0, 0.0)),
                drag=2.2,
                gravity=-0.02,
            ),
        ),
    )


def _sparks(overlay: str) -> tuple[Emitter, ...]:
    return (
        Emitter(
            name="Sparks",
            overlay=overlay,
            emission=Emission(rate=0, bursts=(Burst(count=(30, 45)),), runs="once", duration=0.2, cone=38),
            birth=Birth(life=(0.5, 1.3), width=(0.03, 0.05), speed=(1.8, 3.8)),
            life=Life(
                gravity=1.0,
                drag=0.4,
                solids="bounce",
                bounce=0.35,
                rub=0.3,
                opacity=_curve((0.0, 1.0), (0.7, 1.0), (1.0, 0.0)),
                size=_curve((0.0, 1.0), (0.6, 0.8), (1.0, 0.0)),
                tint=Ramp(
                    stops=(
                        Stop(at=0, colour=(1, 0.95, 0.85)),
                        Stop(at=0.5, colour=(1, 0.6, 0.2)),
                        Stop(at=1, colour=(0.7, 0.15, 0.03)),
                    )
                ),
            ),
            facing=Facing(facing="stretched", stretch=0.03),
        ),
    )


def _motes(overlay: str) -> tuple[Emitter, ...]:
    return (
        Emitter(
            name="Motes",
            overlay=overlay,
            emission=Emission(rate=7, duration=4, form="box", size=(1.6, 1.0, 1.0), way="round", warm=True),
            birth=Birth(life=(4, 7), width=(0.02, 0.05), speed=(0.01, 0.05), turn=_TURNED, opacity=(0.4, 1.0)),
            life=Life(
                opacity=_curve((0.0, 0.0), (0.2, 1.0), (0.8, 1.0), (1.0, 0.0)),
                drift=0.12,
                drift_scale=0.9,
                drift_rate=0.15,
                wind=0.3,
            ),
        ),
    )


def _bubbles(overlay: str) -> tuple[Emitter, ...]:
    return (
        Emitter(
            name="Bubbles",
            overlay=overlay,
            emission=Emission(rate=9, duration=2, form="disc", size=(0.1, 0.1, 0.1), cone=10, warm=True),
            birth=Birth(life=(2.2, 3.2), width=(0.03, 0.09), speed=(0.25, 0.45), frame="random", opacity=(0.7, 1.0)),
            life=Life(
                size=_curve((0.0, 0.5), (0.2, 1.0), (1.0, 1.25)),
                opacity=_curve((0.0, 0.0), (0.08, 1.0), (0.92, 1.0), (1.0, 0.0)),
                gravity=-0.02,
                drag=0.4,
                drift=0.1,
                drift_scale=2.0,
                drift_rate=0.6,
            ),
            facing=Facing(facing="upright"),
        ),
    )


def _drips(overlay: str) -> tuple[Emitter, ...]:
    return (
        Emitter(
            name="Drips",
            overlay=overlay,
            emission=Emission(rate=1.6, duration=3, form="line", size=(0.6, 0.1, 0.1), way="given", along=(0, -1, 0)),
            birth=Birth(life=(1.2, 1.2), width=(0.02, 0.03), height=(0.03, 0.045), speed=(0.0, 0.05)),
            life=Life(
                gravity=1.0, limit=4.0, solids="die", opacity=_curve((0.0, 0.0), (0.05, 1.0), (0.9, 1.0), (1.0, 0.0))
            ),
            facing=Facing(facing="stretched", stretch=0.02),
        ),
    )


def _flame(overlay: str) -> tuple[Emitter, ...]:
    return (
        Emitter(
            name="Flame",
            overlay=overlay,
            emission=Emission(rate=10, duration=1, form="disc", size=(0.015, 0.1, 0.1), way="given", warm=True),
            birth=Birth(life=(0.3, 0.45), width=(0.1, 0.14), height=(0.2, 0.3), speed=(0.02, 0.06), turn=(-6, 6)),
            life=Life(
                size=_curve((0.0, 0.6), (0.3, 1.0), (1.0, 0.7)),
                opacity=_curve((0.0, 0.0), (0.2, 1.0), (1.0, 0.0)),
                gravity=-0.03,
            ),
            facing=Facing(facing="upright", pivot=(0.5, 0.96)),
        ),
    )


def _flash(overlay: str) -> tuple[Emitter, ...]:
    return (
        Emitter(
            name="Flash",
            overlay=overlay,
            emission=Emission(rate=0, bursts=(Burst(count=(1, 1)),), runs="once", duration=0.1, way="given"),
            birth=Birth(life=(0.16, 0.22), width=(0.5, 0.7), speed=(0, 0), turn=_TURNED),
            life=Life(size=_curve((0.0, 0.6), (0.3, 1.0), (1.0, 1.1)), opacity=_DIES),
            facing=Facing(facing="crossed"),
        ),
    )


STARTERS: dict[str, Starter] = {
    "plume": Starter("Steady plume", "Smoke, steam, silt: rises, swells, turns with the wind.", _plume),
    "burst": Starter("One burst", "A puff that goes out all round and is gone.", _burst, height=0.9),
    "sparks": Starter("Sparks", "Thrown out, they fall, bounce and cool.", _sparks, height=0.6),
    "motes": Starter("Drifting motes", "Dust or plankton that hangs in the light.", _motes, height=1.2),
    "bubbles": Starter("Rising bubbles", "Another frame each, upright, wandering upwards.", _bubbles),
    "drips": Starter("Drips", "Drops that fall from an edge and end on the floor.", _drips, height=1.3),
    "flame": Starter(
        "Flickering flame",
        "Stands on its nozzle and lights what is round it.",
        _flame,
        Lamp(on=True, strength=1.2, reach=2.0),
    ),
    "flash": Starter("Brief flash", "Crossed panels and a lamp, for a moment.", _flash, Lamp(on=False)),
}
"""Every beginning by its key."""


def started(key: str, name: str, overlay: str, at: tuple[float, float, float] = (0.0, 0.5, 0.8)) -> Effect:
    """An effect from a beginning."""
    s = STARTERS[key]
    return Effect(name=name, at=at, parts=s.parts(overlay), lamp=s.lamp)

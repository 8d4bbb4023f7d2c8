"""Effects of the demo, the overlays that their particles show, and three faulty twins."""

from typing import Any

from mivex.core.material.effects import Contact, Erosion, UvScroll
from mivex.core.material.material import Material
from mivex.core.motion.curves import Curve, Ramp, Stop
from mivex.core.motion.model import Air, Birth, Burst, Effect, Emission, Emitter, Facing, Lamp, Life
from mivex.core.prepare.spread import Spread
from mivex.core.project.document import Overlay, Source
from mivex.core.sheet.model import Grid, Sheet

_TURNED = (-180.0, 180.0)
AIR = Air(wind_x=0.25)


def _curve(*points: tuple[float, float]) -> Curve:
    return Curve(points=points)


def _overlay(key: str, name: str, path: str, *, sheet: Sheet | None = None, **material: Any) -> Overlay:
    made = Material.model_validate({"lit": False, **material})
    return Overlay(
        id=key, name=name, kind="sprite", source=Source(path=path), steps=(Spread(),), material=made, sheet=sheet or Sheet()
    )


def overlays() -> tuple[Overlay, ...]:
    """Overlays that only particles show."""
    sixteen = Sheet(grids=(Grid(columns=4, rows=4),), play="random", hull=6)
    wears = Erosion(form="soft", soft=0.35, by="life")
    silt: dict[str, Any] = {"tint": (0.62, 0.52, 0.40), "erosion": wears, "contact": Contact(distance=0.18)}
    return (
        _overlay("bubbles_sheet", "Vent bubbles", "bubble_sheet.png", sheet=sixteen),
        _overlay("silt_dark", "Silt, dark", "silt_puff.png", **{**silt, "tint": (0.32, 0.26, 0.20)}),
        _overlay("silt_bright", "Silt, bright", "silt_puff.png", **silt),
        _overlay(
            "flame",
            "Pilot flame",
            "pilot_flame.png",
            blend="Additive",
            flow=UvScroll(strength=0.10, scale=3.0, up=2.4, hold="bottom"),
        ),
        _overlay("spark", "Torch spark", "spark.png", blend="Additive"),
        _overlay("arc", "Arc flash", "arc_flash.png", blend="Additive"),
        _overlay(
            "bubbles_tight", "Bubbles, cell to cell", "bubble_sheet_tight.png", sheet=sixteen.model_copy(update={"hull": 0})
        ),
        _overlay("mote_plain", "Mote that takes no tint", "spark.png", blend="Additive", takes_tint=False),
    )


def effects() -> tuple[Effect, ...]:
    """Six effects that are as they should be, and three that are not."""
    in_out = _curve((0.0, 0.0), (0.12, 1.0), (0.75, 1.0), (1.0, 0.0))
    rises = Emission(rate=9, duration=2, form="disc", size=(0.09, 0.1, 0.1), cone=8, warm=True)
    bubbles = Emitter(
        id="fx_bubbles",
        name="Bubbles",
        overlay="bubbles_sheet",
        emission=rises,
        birth=Birth(life=(2.4, 3.4), width=(0.035, 0.095), speed=(0.3, 0.5), frame="random", opacity=(0.75, 1.0)),
        life=Life(
            size=_curve((0.0, 0.5), (0.2, 1.0), (1.0, 1.25)),
            opacity=in_out,
            gravity=-0.015,
            drag=0.35,
            drift=0.10,
            drift_scale=2.0,
            drift_rate=0.6,
        ),
        facing=Facing(facing="upright"),
    )
    cloud = {"rate": 1.6, "duration": 3.0, "form": "disc", "size": (0.36, 0.1, 0.1), "cone": 26.0, "warm": True}
    swell = Life(
        size=_curve((0.0, 0.5), (1.0, 2.4)),
        opacity=_curve((0.0, 0.0), (0.14, 0.85), (0.6, 0.7), (1.0, 0.0)),
        erosion=_curve((0.0, 0.0), (0.35, 0.05), (1.0, 0.85)),
        drag=0.5,
        drift=0.05,
        wind=0.5,
    )
    lives = Birth(life=(2.6, 3.6), width=(0.26, 0.40), speed=(0.16, 0.34), turn=_TURNED, spin=(-18, 18))
    silt = (
        Emitter(
            id="fx_silt_dark",
            name="Dark, behind",
            overlay="silt_dark",
            emission=Emission.model_validate(cloud),
            birth=lives,
            life=swell,
            facing=Facing(nudge=-1),
        ),
        Emitter(
            id="fx_silt_bright",
            name="Bright, in front",
            overlay="silt_bright",
            emission=Emission.model_validate({**cloud, "rate": 1.3}),
            birth=lives.model_copy(update={"width": (0.16, 0.28)}),
            life=swell,
            facing=Facing(nudge=1),
        ),
    )
    motes = Emitter(
        id="fx_motes",
        name="Motes",
        overlay="packed",
        emission=Emission(rate=6, duration=4, form="box", size=(1.5, 0.9, 0.7), way="round", warm=True),
        birth=Birth(life=(4, 7), width=(0.04, 0.09), speed=(0.01, 0.04), turn=_TURNED, opacity=(0.35, 0.9)),
        life=Life(
            opacity=_curve((0.0, 0.0), (0.25, 1.0), (0.75, 1.0), (1.0, 0.0)), drift=0.10, drift_scale=0.9, drift_rate=0.15
        ),
    )
    flame = Emitter(
        id="fx_flame",
        name="Flame",
        overlay="flame",
        emission=Emission(rate=9, duration=1, form="disc", size=(0.012, 0.1, 0.1), way="given", warm=True),
        birth=Birth(life=(0.34, 0.5), width=(0.13, 0.17), height=(0.26, 0.36), speed=(0.01, 0.04), turn=(-5, 5)),
        life=Life(size=_curve((0.0, 0.7), (0.3, 1.0), (1.0, 0.75)), opacity=_curve((0.0, 0.0), (0.25, 0.8), (1.0, 0.0))),
        facing=Facing(facing="upright", pivot=(0.5, 1.0)),
    )
    sparks = Emitter(
        id="fx_sparks",
        name="Sparks",
        overlay="spark",
        emission=Emission(
            rate=0, bursts=(Burst(count=(26, 38), repeats=4, every=0.11),), runs="once", duration=0.6, cone=40
        ),
        birth=Birth(life=(0.6, 1.4), width=(0.018, 0.03), speed=(1.4, 3.2)),
        life=Life(
            gravity=1.0,
            drag=0.3,
            solids="bounce",
            bounce=0.35,
            rub=0.3,
            size=_curve((0.0, 1.0), (0.7, 0.8), (1.0, 0.0)),
            tint=Ramp(
                stops=(
                    Stop(at=0.0, colour=(1.0, 0.95, 0.82)),
                    Stop(at=0.5, colour=(1.0, 0.58, 0.18)),
                    Stop(at=1.0, colour=(0.65, 0.14, 0.03)),
                )
            ),
        ),
        facing=Facing(facing="stretched", stretch=0.035),
    )
    flash = Emitter(
        id="fx_arc",
        name="Arc",
        overlay="arc",
        emission=Emission(
            rate=0, bursts=(Burst(count=(1, 1), repeats=3, every=0.14),), runs="once", duration=0.5, way="given"
        ),
        birth=Birth(life=(0.09, 0.16), width=(0.45, 0.6), speed=(0, 0), turn=_TURNED),
        life=Life(opacity=_curve((0.0, 1.0), (0.5, 0.9), (1.0, 0.0))),
        facing=Facing(facing="crossed"),
    )
    tight = bubbles.model_copy(update={"id": "fx_tight", "overlay": "bubbles_tight"})
    pops = silt[1].model_copy(
        update={
            "id": "fx_pops",
            "name": "Silt",
            "overlay": "silt_banded",
            "life": Life(drag=0.5),
            "emission": Emission.model_validate({**cloud, "rate": 4.0}),
            "birth": lives.model_copy(update={"width": (0.35, 0.5), "turn": (0.0, 0.0)}),
        }
    )
    plain = motes.model_copy(
        update={
            "id": "fx_plain",
            "overlay": "mote_plain",
            "birth": motes.birth.model_copy(update={"tint": ((1.0, 0.55, 0.2), (1.0, 0.8, 0.4)), "width": (0.02, 0.04)}),
        }
    )
    return (
        Effect(
            id="vent",
            name="Bubbles from the vent",
            at=(-0.15, 0.02, 1.05),
            seed=4,
            parts=(bubbles,),
            opened=("rate", "size"),
        ),
        Effect(id="stirred", name="Silt stirred up", at=(1.95, 0.05, 1.45), seed=7, parts=silt),
        Effect(id="drifting", name="Motes in the lamp", at=(-1.5, 1.15, 0.7), seed=2, parts=(motes,)),
        Effect(
            id="pilot",
            name="Pilot flame",
            at=(-4.72, 1.75, -1.9),
            seed=3,
            parts=(flame,),
            lamp=Lamp(on=True, strength=0.6, reach=1.5, above=0.16),
        ),
        Effect(
            id="cutting", name="Sparks of the torch", at=(-2.0, 0.65, 0.9), yaw=60.0, pitch=55.0, seed=5, parts=(sparks,)
        ),
        Effect(id="flashing", name="Arc flash", at=(-2.0, 0.65, 0.9), seed=6, parts=(flash,), lamp=Lamp()),
        Effect(id="second_vent", name="A second vent", at=(-0.55, 0.02, 1.35), seed=9, copy_of="vent"),
        Effect(id="tight", name="Bubbles that bleed", at=(1.75, 0.02, 1.25), seed=4, parts=(tight,), shown=False),
        Effect(id="popping", name="Silt that pops", at=(-2.6, 0.04, 0.9), seed=8, parts=(pops,)),
        Effect(id="colourless", name="Motes without their colour", at=(2.2, 1.1, 0.9), seed=3, parts=(plain,)),
    )

"""Effects: groups of emitters with one transform, and how their particles are born, live and face."""

from typing import Annotated, Any, ClassVar, Literal

from pydantic import AfterValidator, Field, SerializerFunctionWrapHandler, field_validator, model_serializer

from mivex.core.base.messages import Message, named
from mivex.core.base.settings import Frozen, OmitDefaultsModel, Rgb, new_id, setting
from mivex.core.motion.curves import Curve, Ramp

MOST = 20_000
"""Particles of one emitter that may live at once."""
TICKS = 60
"""Steps a second."""
Vec3 = tuple[float, float, float]


def _ordered(pair: tuple[float, float]) -> tuple[float, float]:
    if pair[1] < pair[0]:
        raise ValueError("the first number of a range must not be above the second")
    return pair


Between = Annotated[tuple[float, float], AfterValidator(_ordered)]
"""Least and greatest of a value that is left to chance; equal: the value."""


def ranged(default: Between, title: str, hint: str, unit: str = "", drag: tuple[float, float] = (0, 1)) -> Any:
    """Describe a value that may be a range; its editor is a band."""
    return Field(
        default, title=title, description=hint, json_schema_extra={"widget": "range", "unit": unit, "drag": list(drag)}
    )


class Burst(Frozen):
    """A burst: a number of particles at one time of the run."""

    time: float = Field(0.0, ge=0, le=600, description="Seconds into a run.")
    count: tuple[int, int] = Field((10, 10), description="Least and greatest number.")
    repeats: int = Field(1, ge=1, le=1000, description="How often in a run.")
    every: float = Field(0.5, ge=0.01, le=600, description="Seconds between.")

    @field_validator("count")
    @classmethod
    def _counted(cls, count: tuple[int, int]) -> tuple[int, int]:
        if not 0 <= count[0] <= count[1] <= MOST:
            raise ValueError(Message("a burst has 0 to {most} particles, the first number not above the second", most=MOST))
        return count


Form = Literal["point", "sphere", "half", "disc", "ring", "box", "line", "mesh"]
FORMS: dict[str, str] = {
    "point": "Point",
    "sphere": "Sphere",
    "half": "Half sphere",
    "disc": "Disc",
    "ring": "Ring",
    "box": "Box",
    "line": "Line",
    "mesh": "A mesh's surface",
}
Runs = Literal["loop", "once", "times"]


class Emission(OmitDefaultsModel):
    """When and where particles are born, and which way they go."""

    rate: float = setting(20.0, "Rate", "Particles a second.", unit="/s", ge=0, le=20000, drag=(0, 200))
    rate_curve: Curve | None = Field(None, title="Rate over a run", description="Multiplies the rate over a run.")
    bursts: tuple[Burst, ...] = Field((), description="Particles born at once.")
    runs: Runs = setting(
        "loop",
        "Runs",
        "How often it goes through its duration.",
        choices={"loop": "Again and again", "once": "Once", "times": "A number of times"},
    )
    times: int = setting(3, "Times", "How many runs.", ge=1, le=1000, drag=(1, 10))
    duration: float = setting(2.0, "Duration", "Seconds of a run.", unit="s", ge=0.02, le=600, drag=(0.1, 10))
    delay: float = setting(0.0, "Delay", "Seconds before the first run.", unit="s", ge=0, le=600, drag=(0, 5))
    most: int = setting(
        500,
        "At most",
        "Particles that may live at once; while there are so many, none is born.",
        ge=0,
        le=MOST,
        drag=(0, 1000),
    )
    warm: bool = setting(False, "Runs already", "At the beginning it is as though it had been running for long.")
    form: Form = setting("point", "Born in", "Where particles are born.", choices=FORMS)
    size: Vec3 = Field(
        (0.3, 0.3, 0.3),
        title="Size",
        description="Radius of a sphere, half sphere, disc or ring (then its "
        "band's width); sides of a box; length of a line; metres.",
    )
    skin: bool = setting(False, "Surface only", "Born on its surface, not inside.")
    mesh: str = Field("", title="Mesh", description="OBJ, PLY or glTF on whose surface particles are born.")
    way: Literal["out", "cone", "round", "given"] = setting(
        "cone",
        "Direction",
        "Which way particles set out.",
        choices={"out": "Outwards", "cone": "Along a cone", "round": "All round", "given": "One way"},
    )
    cone: float = setting(20.0, "Cone", "Degrees from the axis.", unit="°", ge=0, le=180, drag=(0, 90))
    along: Vec3 = Field((0.0, 1.0, 0.0), title="Axis", description="Of the cone, or the one way; in the effect's own axes.")


class Birth(OmitDefaultsModel):
    """What a particle is like when it is born; each a value, or a range."""

    life: Between = ranged((2.0, 2.0), "Life", "Seconds.", "s", (0.1, 6))
    width: Between = ranged((0.3, 0.3), "Width", "Metres.", "m", (0.01, 2))
    height: Between | None = Field(None, title="Height", description="Metres; none: as wide.")
    speed: Between = ranged((0.5, 0.5), "Speed", "Metres a second.", "m/s", (0, 6))
    turn: Between = ranged((0.0, 0.0), "Turn", "Degrees in its own plane.", "°", (-180, 180))
    spin: Between = ranged((0.0, 0.0), "Spin", "Degrees a second.", "°/s", (-360, 360))
    opacity: Between = ranged((1.0, 1.0), "Opacity", "Multiplies alpha.", "", (0, 1))
    tint: tuple[Rgb, Rgb] = Field(
        ((1.0, 1.0, 1.0), (1.0, 1.0, 1.0)), title="Tint", description="Any colour between two, mixed in linear light."
    )
    frame: Literal["life", "play", "random", "first"] = setting(
        "life",
        "Frames",
        "Which frame of a sheet it shows.",
        choices={
            "life": "Once over its life",
            "play": "At the sheet's speed",
            "random": "One by chance",
            "first": "The first",
        },
    )

    @field_validator("life", "width", "height")
    @classmethod
    def _there(cls, value: Between | None) -> Between | None:
        if value is not None and not 0.001 <= value[0] <= value[1] <= 1000:
            raise ValueError("must lie between 0.001 and 1000")
        return value


class Life(OmitDefaultsModel):
    """What changes over a particle's life; what does nothing is not there."""

    size: Curve | None = Field(None, title="Size", description="Multiplies width and height.")
    opacity: Curve | None = Field(
        None, title="Opacity", description="Multiplies alpha; from nothing to nothing, so that it does not pop."
    )
    tint: Ramp | None = Field(None, title="Tint", description="Multiplies colour.")
    erosion: Curve | None = Field(
        None,
        title="Erosion",
        description="How far it has worn away, where the material's erosion is driven by a particle's life.",
    )
    spin: Curve | None = Field(None, title="Spin", description="Multiplies the spin.")
    speed_x: Curve | None = Field(None, title="Speed across", description="Multiplies the way it goes along the x axis.")
    speed_y: Curve | None = Field(None, title="Speed up", description="Multiplies the way it goes along the y axis.")
    speed_z: Curve | None = Field(None, title="Speed towards", description="Multiplies the way it goes along the z axis.")
    frame: Curve | None = Field(None, title="Frame", description="Which frame, as a share of the sheet.")
    push: Curve | None = Field(None, title="Push", description="Multiplies the acceleration.")
    acceleration: Vec3 = Field((0.0, 0.0, 0.0), title="Acceleration", description="Metres a second, each second.")
    gravity: float = setting(
        0.0, "Gravity", "Share of the earth's that pulls it down; below 0 it rises.", unit="g", ge=-10, le=10, drag=(-1, 1)
    )
    drag: float = setting(
        0.0, "Drag", "Share of its speed that it loses, each second.", unit="/s", ge=0, le=100, drag=(0, 5)
    )
    limit: float = setting(
        0.0, "Speed limit", "Never quicker than this; 0: as it comes.", unit="m/s", ge=0, le=1000, drag=(0, 10)
    )
    swirl: float = setting(
        0.0, "Swirl", "Degrees a second round the effect's axis.", unit="°/s", ge=-3600, le=3600, drag=(-360, 360)
    )
    drift: float = setting(
        0.0, "Drift", "Carried about by a noise, at most so quickly.", unit="m/s", ge=0, le=100, drag=(0, 2)
    )
    drift_scale: float = setting(1.0, "Drift's features", "To a metre.", unit="/m", ge=0.01, le=100, drag=(0.1, 8))
    drift_rate: float = setting(
        0.3, "Drift's change", "How quickly the noise changes.", unit="/s", ge=0, le=100, drag=(0, 3)
    )
    wind: float = setting(
        0.0, "Wind", "How quickly it takes on the wind of the stage; 0: not.", unit="/s", ge=0, le=100, drag=(0, 5)
    )
    solids: Literal["through", "bounce", "die"] = setting(
        "through",
        "At solids",
        "What it does where it meets something solid.",
        choices={"through": "Goes through", "bounce": "Bounces", "die": "Dies"},
    )
    bounce: float = setting(0.5, "Bounce", "Share of its speed that it comes back with.", ge=0, le=1)
    rub: float = setting(0.2, "Friction", "Share of its speed along the surface that it loses.", ge=0, le=1)


class Facing(OmitDefaultsModel):
    """How particles stand, and in which order they are drawn."""

    facing: Literal["camera", "upright", "stretched", "fixed", "crossed"] = setting(
        "camera",
        "Faces",
        "How each stands.",
        choices={
            "camera": "The camera",
            "upright": "The camera, upright",
            "stretched": "Along its way",
            "fixed": "One way",
            "crossed": "Two crossed panels",
        },
    )
    stretch: float = setting(
        0.05, "Stretched by", "Metres longer for each metre a second.", unit="s", ge=0, le=10, drag=(0, 0.5)
    )
    yaw: float = setting(0.0, "Yaw", "Which way fixed ones face.", unit="°", ge=-360, le=360, drag=(-180, 180))
    pitch: float = setting(0.0, "Pitch", "Which way fixed ones face.", unit="°", ge=-90, le=90)
    pivot: tuple[float, float] = Field(
        (0.5, 0.5),
        title="Held at",
        description="Point of the picture that stands where the particle is: 0.5, 1 stands on its foot.",
    )
    space: Literal["world", "local"] = setting(
        "world",
        "Forces",
        "Gravity, acceleration and swirl in the world's axes, or in the effect's own.",
        choices={"world": "In the world", "local": "In the effect"},
    )
    order: Literal["far", "apart", "oldest", "youngest"] = setting(
        "far",
        "Drawn",
        "Which particles come first: one by one among all of the same group and nudge, or this part's by themselves.",
        choices={
            "far": "Far to near, among all",
            "apart": "Far to near, by themselves",
            "oldest": "Oldest first",
            "youngest": "Youngest first",
        },
    )
    nudge: int = setting(
        0,
        "Order nudge",
        "Among the effect's parts and everything else: higher is drawn later.",
        ge=-99,
        le=99,
        drag=(-10, 10),
    )


class Emitter(Frozen):
    """One part of an effect: particles that show one overlay."""

    id: str = Field(default_factory=new_id)
    name: str = "Part"
    overlay: str = Field("", description="Id of the overlay that its particles show.")
    muted: bool = False
    emission: Emission = Field(default_factory=Emission)
    birth: Birth = Field(default_factory=Birth)
    life: Life = Field(default_factory=Life)
    facing: Facing = Field(default_factory=Facing)


class Lamp(OmitDefaultsModel):
    """A light that an effect carries; it lights the solids round it."""

    on: bool = setting(False, "Lamp", "A light in the effect, which falls on the solids round it.")
    colour: Rgb = setting((1.0, 0.62, 0.3), "Lamp's colour", "Colour of its light.", widget="colour")
    strength: float = setting(2.0, "Lamp's strength", "Brightness at one metre.", unit="×", ge=0, le=1000, drag=(0, 10))
    reach: float = setting(
        4.0, "Lamp's reach", "Metres after which nothing of it is left.", unit="m", ge=0.1, le=100, drag=(0.5, 10)
    )
    flicker: float = setting(0.3, "Flicker", "Share of its strength that comes and goes.", ge=0, le=1)
    rate: float = setting(8.0, "Flickers", "How quickly it flickers.", unit="/s", ge=0.1, le=60, drag=(1, 20))
    above: float = setting(0.1, "Lamp above", "Metres along the effect's axis.", unit="m", ge=-20, le=20, drag=(-1, 1))


class Travel(OmitDefaultsModel):
    """How an effect moves: its emitters and its lamp go along, what they have born stays behind."""

    WHEN: ClassVar[dict[str, tuple[str, tuple[Any, ...]]]] = {
        k: ("path", ("swing", "circle")) for k in ("reach_x", "reach_y", "reach_z", "period")
    }

    path: Literal["none", "swing", "circle"] = setting(
        "none",
        "Moves",
        "Where particles are born moves along; trails stay behind, as from a lamp that swings or a boat that circles.",
        choices={"none": "Stands still", "swing": "Swings to and fro", "circle": "Goes round"},
    )
    reach_x: float = setting(0.3, "Moves across", "To either side.", unit="m", ge=-100, le=100, drag=(-2, 2))
    reach_y: float = setting(0.0, "Moves along", "Along its axis, either way.", unit="m", ge=-100, le=100, drag=(-2, 2))
    reach_z: float = setting(0.0, "Moves in depth", "Before and behind.", unit="m", ge=-100, le=100, drag=(-2, 2))
    period: float = setting(2.0, "Period", "Once to and fro, or once round.", unit="s", ge=0.05, le=600, drag=(0.2, 10))
    turning: float = setting(
        0.0, "Turning", "About its axis, as a screw does.", unit="°/s", ge=-7200, le=7200, drag=(-720, 720)
    )
    carried: float = setting(0.0, "Carried along", "Share of its own speed that particles set out with.", ge=0, le=1)

    @property
    def moves(self) -> bool:
        """Whether anything of the effect moves."""
        return self.turning != 0 or (self.path != "none" and any((self.reach_x, self.reach_y, self.reach_z)))


DIALS = ("tint", "worn", "rate", "size")
DIAL_WORDS = {"tint": "Colour", "worn": "Threshold", "rate": "Rate", "size": "Size"}


class ExposedParameters(OmitDefaultsModel):
    """Settings of a whole effect that copies of it may have of their own."""

    tint: Rgb = setting((1.0, 1.0, 1.0), "Colour", "Multiplies the tint of all its particles.", widget="colour")
    worn: float = setting(0.0, "Threshold", "Added to how far they have worn away.", ge=-1, le=1)
    rate: float = setting(1.0, "Rate", "Multiplies how many are born.", unit="×", ge=0, le=100, drag=(0, 3))
    size: float = setting(1.0, "Size", "Multiplies their width and height.", unit="×", ge=0.01, le=100, drag=(0.1, 3))


class Effect(Frozen):
    """Emitters with one transform."""

    id: str = Field(default_factory=new_id)
    name: str
    shown: bool = True
    at: Vec3 = (0.0, 0.5, 0.8)
    yaw: float = Field(0.0, ge=-360, le=360)
    pitch: float = Field(90.0, ge=-360, le=360, description="Its axis points up at 90.")
    roll: float = Field(0.0, ge=-360, le=360)
    scale: float = Field(1.0, ge=0.001, le=1000)
    seed: int = Field(1, ge=0, le=2**31 - 1)
    parts: tuple[Emitter, ...] = ()
    lamp: Lamp = Field(default_factory=Lamp)
    travel: Travel = Field(default_factory=Travel)
    dials: ExposedParameters = Field(default_factory=ExposedParameters)
    opened: tuple[str, ...] = Field((), description="Dials that copies may set for themselves.")
    bounds: tuple[Vec3, Vec3] | None = Field(
        None, description="Low and high corner of the box that a receiver cuts it off by; none: as its motion says."
    )
    copy_of: str = Field(
        "", description="Id of the effect that it is a copy of; its own are then place, seed and open dials."
    )

    @field_validator("opened")
    @classmethod
    def _known(cls, opened: tuple[str, ...]) -> tuple[str, ...]:
        if unknown := [k for k in opened if k not in DIALS]:
            raise ValueError(Message("“{unknown}” is none of {parts}", unknown=unknown[0], parts=named(", ", DIALS)))
        return opened

    @model_serializer(mode="wrap")
    def _without_usual(self, write: SerializerFunctionWrapHandler) -> dict[str, Any]:
        """What only some effects have is written only for them."""
        return {
            k: v for k, v in write(self).items() if v or k not in ("lamp", "travel", "dials", "opened", "copy_of", "bounds")
        }


class Air(OmitDefaultsModel):
    """The air of the stage, shared by all effects."""

    wind_x: float = setting(
        0.0, "Wind across", "Metres a second to the right, seen from the dock.", unit="m/s", ge=-100, le=100, drag=(-5, 5)
    )
    wind_y: float = setting(0.0, "Wind up", "Metres a second upwards.", unit="m/s", ge=-100, le=100, drag=(-5, 5))
    wind_z: float = setting(
        0.0, "Wind towards", "Metres a second towards the viewer.", unit="m/s", ge=-100, le=100, drag=(-5, 5)
    )

    @property
    def wind(self) -> Vec3:
        """Velocity of the wind along x, y and z, in metres a second."""
        return self.wind_x, self.wind_y, self.wind_z


def whole(effect: Effect, effects: tuple[Effect, ...]) -> Effect:
    """An effect with everything that it takes from the one that it is a copy of."""
    of = next((e for e in effects if e.id == effect.copy_of), None) if effect.copy_of else None
    if of is None or of.copy_of:
        return effect
    own = {k: getattr(effect.dials, k) for k in of.opened}
    return effect.model_copy(
        update={
            "parts": of.parts,
            "lamp": of.lamp,
            "travel": of.travel,
            "opened": of.opened,
            "dials": of.dials.model_copy(update=own),
        }
    )

"""Cases of effects: one emitter of soft puffs, seen at three moments."""

from typing import Any

import numpy as np

from mivex.core.lessons.model import Case, case
from mivex.core.lessons.textures import disc, flat, joined
from mivex.core.material.effects import Contact, Erosion
from mivex.core.material.material import Material
from mivex.core.motion.curves import Curve
from mivex.core.motion.model import Birth, Effect, Emission, Emitter, Life
from mivex.core.picture.picture import quantise
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.sheet.model import Grid, Sheet
from mivex.core.stage.camera import Camera
from mivex.core.stage.placements_model import Around

FADES = Curve(points=((0.0, 0.0), (0.2, 1.0), (1.0, 0.0)))
CAMERA = Camera(name="Front", target=(0, 0.85, 0), yaw=0, pitch=6, distance=2.3)
TIMES = (2.0, 2.25, 2.5)


def puff(n: int = 128) -> Texture:
    """A soft grey puff."""
    return Texture(quantise(joined(flat(0.8, 0.8, 0.82), disc(n, 0.2, 0.75)), 8))


BORN = {"life": (2, 2), "width": (0.3, 0.5), "turn": (-180, 180), "speed": (0.5, 0.9)}


def plume(  # noqa: PLR0913 (by keyword)
    emission: dict[str, Any] | None = None,
    birth: dict[str, Any] | None = None,
    life: dict[str, Any] | None = None,
    *,
    sheet: Sheet | None = None,
    texture: Texture | None = None,
    around: Around | None = None,
    at: tuple[float, float, float] = (0.0, 0.2, 0.0),
    bounds: Any = None,
    times: tuple[float, ...] = TIMES,
    camera: Camera = CAMERA,
    **material: Any,
) -> Case:
    """A plume that is as it should be but for what is said."""
    part = Emitter(
        id="p",
        overlay="o",
        emission=Emission.model_validate({"rate": 14, "cone": 25} | (emission or {})),
        birth=Birth.model_validate(BORN | (birth or {})),
        life=Life.model_validate({"opacity": FADES} | (life or {})),
    )
    effect = Effect(id="e", name="Plume", at=at, parts=(part,), bounds=bounds)
    o = Overlay(
        id="o",
        name="Puff",
        source=Source(canvas=(128, 128)),
        sheet=sheet or Sheet(),
        material=Material.model_validate({"lit": False} | material),
    )
    doc = Document(
        overlays=(o,), effects=(effect,), cameras=(camera,), around=around or Around(path="none.obj"), overdraw=64
    )
    return Case(doc, {"o": texture or puff()}, times=times)


@case("motion-pop")
def _pop(good: bool) -> Case:
    return plume(life={"opacity": FADES if good else Curve(points=((0.0, 0.8), (1.0, 0.7)))})


@case("motion-tint")
def _tint(good: bool) -> Case:
    return plume(birth={"tint": ((1.0, 0.45, 0.2), (1.0, 0.7, 0.3))}, takes_tint=good)


@case("motion-erosion")
def _erosion(good: bool) -> Case:
    wears = Curve(points=((0.0, 0.0), (1.0, 1.0)))
    form = Erosion(form="soft", by="life", soft=0.4)
    return plume(life={"erosion": wears} if good else {}, erosion=form)


def _numbered() -> tuple[Texture, Sheet]:
    n, sheet = 64, Sheet(grids=(Grid(columns=4, rows=4),), play="once", rate=4)
    alpha = np.concatenate(
        [np.concatenate([disc(n, 0.05 + 0.05 * (4 * r + c), 0.15) for c in range(4)], axis=1) for r in range(4)], axis=0
    )
    values = quantise(joined(flat(0.8, 0.8, 0.82), alpha), 8)
    return Texture(values, cells=tuple(sheet.cells(4 * n, 4 * n))), sheet


@case("motion-short")
def _short(good: bool) -> Case:
    texture, sheet = _numbered()
    sheet = sheet.model_copy(update={"rate": 8.0}) if good else sheet
    return plume({"rate": 3}, {"frame": "play"}, sheet=sheet, texture=texture)


@case("motion-frames")
def _frames(good: bool) -> Case:
    texture, sheet = _numbered()
    return plume({"rate": 3}, {"frame": "life" if good else "first"}, sheet=sheet, texture=texture)


@case("motion-loop")
def _loop(good: bool) -> Case:
    rate = Curve(points=((0.0, 1.0), (0.5, 0.4), (1.0, 1.0)) if good else ((0.0, 0.0), (1.0, 1.0)))
    return plume({"rate": 20, "rate_curve": rate, "duration": 2.0}, times=(3.9, 4.3, 4.7))


@case("motion-alike")
def _alike(good: bool) -> Case:
    return plume({"rate": 5}, {} if good else {"width": (0.4, 0.4), "turn": (0, 0)})


@case("motion-most")
def _most(good: bool) -> Case:
    return plume({"rate": 20, "most": 80 if good else 12})


@case("motion-overdraw")
def _overdraw(good: bool) -> Case:
    if good:
        return plume()
    return plume({"rate": 400, "most": 2000}, {"width": (1.0, 1.2), "speed": (0.0, 0.01)})


@case("motion-contact")
def _contact(good: bool) -> Case:
    camera = Camera(name="Low", target=(0.6, 0.25, 1.4), yaw=0, pitch=14, distance=1.5)
    dark = Texture(quantise(joined(flat(0.2, 0.2, 0.22), disc(128, 0.45, 0.5)), 8))
    return plume(
        {"rate": 10},
        {"width": (0.5, 0.7), "speed": (0.05, 0.1)},
        at=(0.6, 0.03, 1.4),
        around=Around(),
        camera=camera,
        times=(2.0, 2.4),
        texture=dark,
        contact=Contact(distance=0.3 if good else 0.0),
    )


@case("motion-inside")
def _inside(good: bool) -> Case:
    camera = Camera(name="Low", target=(0.6, 0.4, 1.4), yaw=0, pitch=14, distance=3.0)
    return plume(
        at=(0.6, 0.35 if good else -0.3, 1.4),
        around=Around(),
        camera=camera,
        times=(2.0, 2.4),
        contact=Contact(distance=0.3),
    )


@case("motion-leap")
def _leap(good: bool) -> Case:
    points = ((0.0, 1.0), (1.0, 0.2)) if good else ((0.0, 1.0), (0.5, 1.0), (0.5, 0.15), (1.0, 0.15))
    return plume(life={"speed_y": Curve(points=points, smooth=False)}, birth={"speed": (0.9, 1.0)})


@case("motion-small")
def _small(good: bool) -> Case:
    near = Camera(name="Near", target=(0, 0.7, 0), yaw=0, pitch=4, distance=1.3)
    ring = disc(512 if good else 16, 0.8, 0.08) - 0.7 * disc(512 if good else 16, 0.55, 0.08)
    texture = Texture(quantise(joined(flat(0.8, 0.8, 0.82), ring), 8))
    return plume({"rate": 4}, {"width": (0.5, 0.6)}, texture=texture, camera=near, times=(2.0, 2.5))


@case("motion-bounds")
def _bounds(good: bool) -> Case:
    box = ((-2.0, -1.0, -2.0), (2.0, 4.0, 2.0)) if good else ((-0.2, 0.0, -0.2), (0.2, 0.6, 0.2))
    return plume(bounds=box)

"""Cases of scenes: a few panes before an empty stage or over a grey floor."""

from collections.abc import Mapping

import numpy as np

from mivex.core.lessons.model import Case, case
from mivex.core.lessons.textures import disc, flat, joined, paint
from mivex.core.material.effects import Contact
from mivex.core.material.material import Mapping as UvMapping
from mivex.core.material.material import Material
from mivex.core.picture.picture import quantise
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.stage.camera import Camera
from mivex.core.stage.mesh import Mesh, quad
from mivex.core.stage.mesh import joined as one_mesh
from mivex.core.stage.placements_model import Around, BillboardPlace, MeshPlace, PanelPlace

CAMERA = Camera(name="Front", target=(0, 1, 0), yaw=14, pitch=6, distance=2.3)
FLOOR = quad(np.array([(-6, 0, -6), (6, 0, -6), (6, 0, 6), (-6, 0, 6)], float))
NEAR, FAR = (-0.2, 1.0, 0.5), (0.25, 1.05, -0.4)
Row = tuple[Overlay, Texture]


def tone(r: float, g: float, b: float, a: float = 1.0) -> Texture:
    """A texture of one colour, display values."""
    return Texture(quantise(np.full((4, 4, 4), (r, g, b, a), np.float32), 8))


def pane(
    key: str, at: tuple[float, float, float], texture: Texture, *, yaw: float = 0.0, size: float = 1.1, **material: object
) -> Row:
    """A flat panel."""
    place = PanelPlace(at=at, yaw=yaw, width=size, height=size * 0.9)
    return Overlay(
        id=key,
        name=key.capitalize(),
        kind="glass",
        source=Source(canvas=(4, 4)),
        places=(place,),
        material=Material.model_validate({"lit": False} | material),
    ), texture


def stage(
    *rows: Row, floor: bool = False, camera: Camera = CAMERA, meshes: Mapping[str, Mesh] | None = None, **more: object
) -> Case:
    """Overlays on an empty stage, or over a floor."""
    doc = Document.model_validate(
        {
            "overlays": tuple(o for o, _ in rows),
            "cameras": (camera,),
            "around": Around(path="floor.obj" if floor else "none.obj"),
        }
        | more
    )
    return Case(doc, {o.id: t for o, t in rows}, {**(meshes or {}), **({"floor.obj": FLOOR} if floor else {})})


RED, BLUE = tone(0.85, 0.45, 0.35, 0.6), tone(0.3, 0.5, 0.85, 0.6)


@case("order")
def _order(good: bool) -> Case:
    return stage(pane("near", NEAR, RED, nudge=0 if good else -2), pane("far", FAR, BLUE))


@case("through-itself")
def _through(good: bool) -> Case:
    flat = np.array([(-0.5, 0.5, 0), (0.5, 0.5, 0), (0.5, -0.5, 0), (-0.5, -0.5, 0)])
    figure = one_mesh([quad(flat + np.array([0, 0, 0.3])), quad(flat * 0.8 - np.array([0, 0, 0.3]))])
    ramp = Texture(
        quantise(
            np.dstack(
                [np.linspace(0.1, 1, 16, dtype=np.float32)[None].repeat(16, 0)] * 3 + [np.full((16, 16), 0.6, np.float32)]
            ),
            8,
        )
    )
    o = Overlay(
        id="fig",
        name="Figure",
        kind="glass",
        source=Source(canvas=(16, 16)),
        places=(MeshPlace(path="fig.obj", at=(0, 1, 0), width=1.2),),
        material=Material(lit=False, depth_first=good),
    )
    return stage((o, ramp), meshes={"fig.obj": figure})


@case("depth-fight")
def _fight(good: bool) -> Case:
    o = Overlay(
        id="mark",
        name="Mark",
        kind="decal",
        source=Source(canvas=(4, 4)),
        places=(PanelPlace(at=(0.1, 0.0, 0.2), pitch=90.0, yaw=7.0, width=2.0, height=2.0),),
        material=Material(lit=False, depth_bias=8.0 if good else 0.0),
    )
    low = Camera(name="Low", target=(0, 0.3, 0), yaw=41, pitch=12, distance=3.6)
    return stage((o, tone(0.85, 0.3, 0.25, 0.9)), floor=True, camera=low)


@case("hidden")
def _hidden(good: bool) -> Case:
    return stage(pane("near", NEAR, RED, nudge=0 if good else -2, depth_write=not good), pane("far", FAR, BLUE))


@case("chance")
def _chance(good: bool) -> Case:
    return stage(
        pane("one", (-0.25, 1.0, 0.0), RED, yaw=0 if good else 24),
        pane("two", (0.25, 1.0, 0.3 if good else 0.0), BLUE, yaw=0 if good else -24),
        camera=Camera(name="Front", target=(0, 1, 0), yaw=0, pitch=5, distance=2.4),
    )


@case("cutout-does")
def _cutout_does(good: bool) -> Case:
    hard = joined(paint(64), np.ones((64, 64), np.float32))
    hard[:, :32, 3] = 0
    o, t = pane(
        "cut",
        (0.0, 1.0, 0.0),
        Texture(quantise(hard, 8)),
        blend="Cutout" if good else "Translucent",
        group="Cutout" if good else "Blended",
        depth_write=good,
    )
    o = o.model_copy(update={"places": (PanelPlace(at=(0.0, 1.0, 0.0), width=12.0, height=10.0),)})
    return stage((o, t), camera=Camera(name="Near", target=(3, 1, 0), distance=1.0))


def _logo(places: tuple[MeshPlace, ...], **material: object) -> Row:
    n = 96
    y, x = (np.mgrid[:n, :n] + 0.5) / n
    letter = (
        ((x > 0.28) & (x < 0.42) & (y > 0.18) & (y < 0.82))
        | ((y > 0.18) & (y < 0.32) & (x > 0.28) & (x < 0.72))
        | ((y > 0.46) & (y < 0.58) & (x > 0.28) & (x < 0.6))
    )
    alpha = letter.astype(np.float32)
    o = Overlay(
        id="logo",
        name="Logo",
        kind="logo",
        source=Source(canvas=(n, n)),
        places=places,
        material=Material.model_validate({"lit": False} | material),
    )
    return o, Texture(quantise(joined(paint(n), alpha), 8))


def _board(uv1: bool) -> Mesh:
    flat = quad(np.array([(-1, 1, 0), (1, 1, 0), (1, -1, 0), (-1, -1, 0)], float))
    return Mesh(flat.position, flat.normal, flat.uv0, flat.index, flat.uv0 if uv1 else None)


@case("uv-missing")
def _uv_missing(good: bool) -> Case:
    row = _logo((MeshPlace(path="board.obj", at=(0, 1, 0), width=1.2),), mapping=UvMapping(uv_set=1))
    return stage(row, meshes={"board.obj": _board(good)})


@case("mirrored")
def _mirrored(good: bool) -> Case:
    row = _logo(
        (MeshPlace(path="board.obj", at=(0, 1, 0), width=1.2),), mapping=UvMapping() if good else UvMapping(across=-1.0)
    )
    return stage(row, meshes={"board.obj": _board(False)})


@case("clipped")
def _clipped(good: bool) -> Case:
    v = 0.25 if good else 0.95
    wall = pane("wall", (0, 1, -0.5), tone(v, v * 0.95, v * 0.9), size=2.4, blend="Solid", group="Solid", depth_write=True)
    light = joined(flat(0.98, 0.9, 0.8), disc(64, 0.3, 0.6) * 0.8)
    return stage(wall, pane("light", (0, 1, 0.3), Texture(quantise(light, 8)), blend="Additive"))


@case("no-change")
def _no_change(good: bool) -> Case:
    wall = pane("wall", (0, 1, 0), tone(0.6, 0.6, 0.6), size=1.6, blend="Solid", group="Solid", depth_write=True)
    return stage(pane("lost", (0, 1, 0.6 if good else -1.0), RED, size=0.8), wall)


@case("black")
def _black(good: bool) -> Case:
    v = 0.5 if good else 0.0
    return stage(pane("dark", NEAR, tone(v, v * 0.9, v * 0.8, 0.85)), pane("far", FAR, BLUE))


@case("lit-flat")
def _lit_flat(good: bool) -> Case:
    puff = Overlay(
        id="puff",
        name="Puff",
        kind="sprite",
        source=Source(canvas=(64, 64)),
        places=(BillboardPlace(at=(0.0, 1.0, 0.4), width=1.2, height=1.2),),
        material=Material(lit=not good),
    )
    return stage((puff, Texture(quantise(joined(flat(0.7, 0.7, 0.7), disc(64)), 8))))


@case("back-missing")
def _back_missing(good: bool) -> Case:
    return stage(pane("pane", (0.0, 1.0, 0.3), RED, yaw=180, both_faces=good), pane("far", FAR, BLUE))


@case("contact")
def _contact(good: bool) -> Case:
    smoke = Overlay(
        id="smoke",
        name="Smoke",
        kind="sprite",
        source=Source(canvas=(64, 64)),
        places=(BillboardPlace(at=(0.0, 0.3, 0.5), width=1.6, height=1.4),),
        material=Material(lit=False, contact=Contact(distance=0.35 if good else 0.0)),
    )
    grey = joined(flat(0.3, 0.3, 0.32), disc(96, 0.5, 0.45) * 0.9)
    return stage(
        (smoke, Texture(quantise(grey, 8))),
        floor=True,
        camera=Camera(name="Low", target=(0, 0.5, 0), yaw=10, pitch=16, distance=2.8),
    )


@case("overdraw")
def _overdraw(good: bool) -> Case:
    rows = [pane(f"p{k}", (0.04 * k, 1 + 0.02 * k, 0.1 * k), tone(0.6, 0.6, 0.62, 0.2)) for k in range(3 if good else 6)]
    return stage(*rows, overdraw=4)

"""Cases of textures."""

from dataclasses import replace
from typing import Literal

import numpy as np

from mivex.core.base.types import Floats
from mivex.core.lessons.model import Case, case
from mivex.core.material.material import Kind, Material
from mivex.core.picture.picture import quantise
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Delivery, Document, Overlay, Source
from mivex.core.proof.flat import FlatView
from mivex.core.stage.camera import Camera
from mivex.core.stage.placements_model import Around, PanelPlace


def disc(n: int = 96, core: float = 0.5, soft: float = 0.3) -> Floats:
    """A soft disc: solid to ``core`` of the half width, clear from ``core + soft``."""
    y, x = (np.mgrid[:n, :n] + 0.5) / n * 2 - 1
    t = np.clip((core + soft - np.hypot(x, y)) / soft, 0, 1)
    return (t * t * (3 - 2 * t)).astype(np.float32)


def paint(n: int = 96) -> Floats:
    """A warm colour with a little of a pattern."""
    y, x = np.mgrid[:n, :n] / n
    wave = 0.06 * np.sin(9 * x + 5 * y) * np.cos(7 * y)
    return np.stack([0.86 + wave, 0.55 + wave, 0.26 + wave], axis=2).astype(np.float32)


def flat(r: float, g: float, b: float) -> Floats:
    """One colour, (1, 1, 3)."""
    return np.array([[[r, g, b]]], np.float32)


def joined(rgb: Floats, alpha: Floats) -> Floats:
    """Colour and alpha as stored values."""
    values = np.concatenate([np.broadcast_to(rgb, (*alpha.shape, 3)), alpha[..., None]], axis=2)
    return np.ascontiguousarray(values, np.float32)


def made(
    values: Floats,
    kind: Kind = "sprite",
    *,
    view: FlatView | None = None,
    has_alpha: bool = True,
    data: bool = False,
    delivery: Delivery | None = None,
    stored: Literal["straight", "premultiplied"] = "straight",
    **material: object,
) -> Case:
    """A texture with its material."""
    o = Overlay(
        id="o",
        name="Example",
        kind=kind,
        source=Source(path="example.png", meaning="data" if data else "colour", alpha_stored=stored),
        material=Material.model_validate({"lit": False} | material),
        delivery=delivery or Delivery(),
    )
    t = Texture(quantise(values, 8), "data" if data else "colour", has_alpha=has_alpha)
    return Case(Document(overlays=(o,)), {"o": t}, flat=view or FlatView(backdrop="checker"))


@case("fringe")
def _fringe(good: bool) -> Case:
    y, x = np.mgrid[:128, :128]
    # Twigs: thin shapes mix with what lies under the clear texels from the first levels on.
    twigs = (np.abs((x + 0.5 * y) % 21 - 10) < 3) | (np.abs((y - 0.4 * x) % 33 - 16) < 4)
    alpha = (twigs & (np.hypot(x - 63.5, y - 63.5) < 58)).astype(np.float32)
    rgb = paint(128) if good else np.where(alpha[..., None] > 0, paint(128), 0)
    return made(joined(rgb, alpha), view=FlatView(backdrop="white", level=2))


@case("two-valued")
def _two_valued(good: bool) -> Case:
    alpha = disc(64, 0.62, 0.25)
    return made(joined(paint(64), alpha if good else (alpha > 0.5).astype(np.float32)), view=FlatView(backdrop="grey"))


@case("soft-cutout")
def _soft_cutout(good: bool) -> Case:
    blend = {"blend": "Translucent"} if good else {"blend": "Cutout", "depth_write": True, "group": "Cutout"}
    return made(joined(paint(64), disc(64, 0.15, 0.6)), view=FlatView(backdrop="grey"), **blend)


@case("banding")
def _banding(good: bool) -> Case:
    alpha = disc(128, 0.05, 0.9)
    if not good:
        alpha = np.round(alpha * 5) / 5
    return made(joined(np.ones((128, 128, 3), np.float32) * 0.75, alpha), view=FlatView(backdrop="black"))


@case("specks")
def _specks(good: bool) -> Case:
    alpha = disc(64, 0.6, 0.3)
    if not good:
        y, x = np.mgrid[:64, :64]
        alpha = np.maximum(alpha, 0.08 * (((y + x) % 7 == 0) & (y % 7 == 3) & (x > 2) & (x < 61))).astype(np.float32)
    return made(joined(np.ones((64, 64, 3), np.float32) * 0.9, alpha), view=FlatView(backdrop="black"))


@case("veil")
def _veil(good: bool) -> Case:
    alpha = disc(64, 0.3, 0.25)
    if not good:
        alpha = np.maximum(alpha, np.float32(5 / 255) * (disc(64, 0.98, 0.02) > 0.5)).astype(np.float32)
    return made(joined(paint(64), alpha), view=FlatView(show="alpha"))


@case("empty-margin")
def _empty_margin(good: bool) -> Case:
    small = disc(24, 0.6, 0.25)
    alpha = disc(64, 0.6, 0.25) if good else np.roll(np.pad(small, 20), 7, axis=1)
    return made(joined(paint(len(alpha)), alpha))


@case("size")
def _size(good: bool) -> Case:
    h, w = (64, 128) if good else (57, 117)
    y, x = (np.mgrid[:h, :w] + 0.5) / [[[h]], [[w]]] * 2 - 1
    alpha = np.clip((0.9 - np.hypot(x, y)) * 4, 0, 1).astype(np.float32)
    return made(joined(np.broadcast_to(paint(128)[:h, :w], (h, w, 3)), alpha))


@case("budget")
def _budget(good: bool) -> Case:
    return made(joined(paint(64), disc(64)), delivery=Delivery(budget=64 if good else 32))


@case("alpha-lost")
def _alpha_lost(good: bool) -> Case:
    c = made(joined(paint(64), disc(64)), delivery=Delivery(format="png" if good else "tga24"))
    # What arrives is drawn: without the channel the whole square covers.
    return c if good else replace(c, flat=FlatView(show="colour"))


@case("no-alpha")
def _no_alpha(good: bool) -> Case:
    alpha = disc(64)
    rgb = paint(64) * alpha[..., None]
    if good:
        return made(joined(paint(64), alpha))
    return made(joined(rgb, np.ones_like(alpha)), has_alpha=False)


@case("constant-alpha")
def _constant(good: bool) -> Case:
    alpha = disc(64) if good else np.full((64, 64), 0.6, np.float32)
    return made(joined(paint(64), alpha))


@case("inverted")
def _inverted(good: bool) -> Case:
    alpha = disc(64)
    y, x = np.mgrid[:64, :64] / 64
    drawn = np.clip(paint(64) + 0.25 * np.sin(30 * x[..., None]) * np.cos(22 * y[..., None]), 0, 1)
    rgb = np.where(alpha[..., None] > 0, drawn, drawn.mean(axis=(0, 1)))
    return made(joined(rgb, alpha if good else 1 - alpha))


@case("border")
def _border(good: bool) -> Case:
    y, x = (np.mgrid[:128, :128] + 0.5) / 128 * 2 - 1
    smear = np.clip(1.25 - np.hypot((x - 0.5) * 0.9, y * 1.6), 0, 1) * 0.9
    if good:
        smear = smear * np.clip((0.92 - np.abs(x)) / 0.3, 0, 1) * np.clip((0.92 - np.abs(y)) / 0.3, 0, 1)
    return made(joined(paint(128), smear.astype(np.float32)), "decal", view=FlatView(backdrop="grey"))


@case("matte")
def _matte(good: bool) -> Case:
    alpha = disc(128, 0.6, 0.3)
    rgb = paint(128) if good else paint(128) * alpha[..., None]
    return made(joined(rgb, alpha), view=FlatView(backdrop="white"))


@case("not-premultiplied")
def _not_premultiplied(good: bool) -> Case:
    alpha = disc(128, 0.3, 0.6)
    rgb = paint(128) * np.array([1.0, 0.8, 0.6], np.float32)
    divided = np.clip(np.divide(rgb, alpha[..., None], out=rgb.copy(), where=alpha[..., None] > 0), 0, 1)
    return made(joined(rgb if good else divided, alpha), stored="premultiplied", view=FlatView(backdrop="grey"))


@case("ground-rim")
def _ground_rim(good: bool) -> Case:
    alpha = disc(128, 0.72, 0.09)
    own = paint(128) if good else np.where(alpha[..., None] > 0.6, paint(128), np.float32(0.97))
    return made(joined(own, alpha), view=FlatView(backdrop="black"))


@case("block-smear")
def _block_smear(good: bool) -> Case:
    alpha = disc(256, 0.85, 0.06)
    y, x = np.mgrid[:256, :256]
    woven = np.where(((x // 2 + y // 3) % 2)[..., None], [0.62, 0.35, 0.3], [0.3, 0.38, 0.62]).astype(np.float32)
    hidden = woven if good else np.where(alpha[..., None] > 0, woven, np.array([0.2, 0.55, 0.3], np.float32))
    return made(joined(hidden, alpha), view=FlatView(show="colour"))


@case("meaning")
def _meaning(good: bool) -> Case:
    tilt = 0.5 * np.sin(np.mgrid[:64, :64][1] / 5)
    n = np.dstack([0.5 + 0.5 * np.sin(tilt), np.full((64, 64), 0.5), 0.5 + 0.5 * np.cos(tilt)])
    return made(
        joined(n, np.ones((64, 64), np.float32)),
        has_alpha=False,
        data=good,
        blend="Solid",
        view=FlatView(show="lit" if good else "colour"),
    )


@case("seam")
def _seam(good: bool) -> Case:
    x = np.mgrid[:64, :64][1]
    wave = 0.5 + 0.3 * np.sin(2 * np.pi * x / 64) if good else 0.2 + x / 80
    rgb = np.stack([wave, wave * 0.8, wave * 0.6], axis=2)
    return made(
        joined(rgb, np.ones((64, 64), np.float32)),
        has_alpha=False,
        blend="Solid",
        tiling=True,
        view=FlatView(layout="tiles"),
    )


@case("holes")
def _holes(good: bool) -> Case:
    pitch = 16 if good else 4
    y, x = np.mgrid[:128, :128]
    a = ((y % pitch < pitch / 2) | (x % pitch < pitch / 2)).astype(np.float32)
    a[:2], a[-2:], a[:, :2], a[:, -2:] = 1, 1, 1, 1
    return made(
        joined(np.full((128, 128, 3), 0.6), a),
        "cloth",
        blend="Cutout",
        depth_write=True,
        group="Cutout",
        view=FlatView(backdrop="black", level=3),
    )


@case("loose")
def _loose(good: bool) -> Case:
    y, x = (np.mgrid[:128, :128] + 0.5) / 128 * 2 - 1
    cloth = (np.abs(x) < 0.8) & (np.abs(y) < 0.75 + 0.06 * np.sin(22 * x)) & (y < 0.6 - 0.2 * np.cos(6 * x))
    a = cloth.astype(np.float32)
    if not good:
        for cx, cy in ((-0.6, 0.9), (0.1, 0.88), (0.7, 0.93)):
            a = np.maximum(a, (np.hypot(x - cx, y - cy) < 0.06).astype(np.float32))
    return made(joined(paint(128), a), "cloth", blend="Cutout", depth_write=True, group="Cutout")


@case("depth-write")
def _depth_write(good: bool) -> Case:
    alpha = np.full((32, 32), 0.5, np.float32)
    front = made(joined(flat(0.3, 0.5, 0.55), alpha), "sprite", depth_write=not good, nudge=-1)
    front_o = front.doc.overlays[0].model_copy(update={"places": (PanelPlace(at=(0.0, 1.0, 0.4), width=1.3, height=1.1),)})
    behind = Overlay(
        id="b",
        name="Behind",
        source=Source(canvas=(64, 64)),
        material=Material(lit=False),
        places=(PanelPlace(at=(0.25, 1.1, -0.3), width=1.0, height=1.0),),
    )
    camera = Camera(name="Front", target=(0, 1, 0), yaw=0, pitch=4, distance=3)
    doc = Document(overlays=(front_o, behind), cameras=(camera,), around=Around(path="none.obj"))
    puff = Texture(quantise(joined(paint(64), disc(64)), 8))
    soft = Texture(quantise(joined(flat(0.3, 0.5, 0.55), disc(64, 0.4, 0.5) * 0.7), 8))
    return Case(doc, {"o": soft, "b": puff})

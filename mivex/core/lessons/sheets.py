"""Cases of sheets."""

import numpy as np

from mivex.core.base.types import Floats
from mivex.core.lessons.model import Case, case
from mivex.core.material.material import Material
from mivex.core.picture.picture import quantise
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.proof.flat import FlatView
from mivex.core.sheet.model import Grid, Play, Sheet


def ball(x: float = 0.5, y: float = 0.5, r: float = 0.25, a: float = 1.0, n: int = 64) -> Floats:
    """A frame with a soft ball."""
    yy, xx = (np.mgrid[:n, :n] + 0.5) / n
    alpha = a * np.clip((r - np.hypot(xx - x, yy - y)) * n / 4, 0, 1)
    rgb = np.broadcast_to(np.array([0.85, 0.87, 0.9], np.float32), (n, n, 3))
    return np.concatenate([rgb, alpha[..., None]], axis=2).astype(np.float32)


def circling(count: int = 16) -> list[Floats]:
    """Frames of a ball that goes round."""
    turns = np.linspace(0, 2 * np.pi, count + 1)[:-1]
    return [ball(0.5 + 0.1 * np.cos(t), 0.5 + 0.1 * np.sin(t)) for t in turns]


def laid(frames: list[Floats], play: Play = "loop", columns: int = 4, level: int = 0) -> Case:
    """A sheet of these frames."""
    rows = [np.concatenate(frames[i : i + columns], axis=1) for i in range(0, len(frames), columns)]
    values = np.concatenate(rows, axis=0)
    h, w = values.shape[:2]
    g = Grid(columns=columns, rows=len(rows))
    sheet = Sheet(grids=(g,), play=play)
    o = Overlay(id="o", name="Example", source=Source(path="example.png"), material=Material(lit=False), sheet=sheet)
    t = Texture(quantise(values, 8), cells=tuple(g.cells(w, h)))
    return Case(Document(overlays=(o,)), {"o": t}, flat=FlatView(backdrop="black", level=level))


@case("sheet-border")
def _border(good: bool) -> Case:
    return laid([ball(r=0.36 if good else 0.62)] * 8, columns=4)


@case("sheet-bleed")
def _bleed(good: bool) -> Case:
    wide = ball(r=0.62)
    if good:
        return laid([ball(r=0.3)] * 8, "random", level=3)
    return laid([wide, ball(), ball(), wide, ball(), wide, ball(), ball()], "random", level=3)


@case("sheet-light")
def _light(good: bool) -> Case:
    def glow(k: int) -> Floats:
        n = 64
        yy, xx = (np.mgrid[:n, :n] + 0.5) / n
        d = np.hypot(xx - 0.5, yy - 0.5)
        light = np.clip(1 - d / (0.42 if good else 0.66), 0, 1) * (0.75 + 0.02 * (k % 3))
        rgb = light[..., None] * np.array([0.95, 0.75, 0.4])
        return np.concatenate([rgb, np.ones((n, n, 1))], axis=2).astype(np.float32)

    c = laid([glow(k) for k in range(8)])
    o = c.doc.overlays[0].model_copy(update={"material": Material(lit=False, blend="Additive")})
    return Case(Document(overlays=(o,)), c.textures, flat=c.flat)


@case("sheet-jump")
def _jump(good: bool) -> Case:
    frames = circling()
    if not good:
        frames[5] = ball(0.3, 0.3, 0.3)
    return laid(frames)


@case("sheet-loop")
def _loop(good: bool) -> Case:
    grow = [0.12 + 0.03 * k for k in range(8)]
    return laid([ball(r=r) for r in (grow if not good else [*grow[:5], *grow[3:0:-1]])], columns=4)


@case("sheet-drift")
def _drift(good: bool) -> Case:
    return laid([ball(0.5 if good else 0.34 + 0.035 * k, r=0.18 + 0.01 * k) for k in range(8)], "once", columns=4)


@case("sheet-empty")
def _empty(good: bool) -> Case:
    frames = circling()
    if not good:
        frames[4] = ball(a=0)
    return laid(frames)


@case("sheet-past")
def _past(good: bool) -> Case:
    frames = circling(14)
    if good:
        c = laid([*frames, ball(a=0), ball(a=0)])
        g = Grid(columns=4, rows=4, count=14)
        t = c.textures["o"]
        o = c.doc.overlays[0].model_copy(update={"sheet": Sheet(grids=(g,), play="loop")})
        held = Texture(t.values, cells=tuple(g.cells(t.width, t.height)))
        return Case(Document(overlays=(o,)), {"o": held}, flat=c.flat)
    return laid([*frames, ball(a=0), ball(a=0)])

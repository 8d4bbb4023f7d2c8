"""Patterns of one thing repeated: perforation, net, lace."""

import math
from typing import ClassVar, Literal

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.settings import setting
from mivex.core.base.types import Floats
from mivex.core.layers.patterns.base import Pattern, PatternParams, counts, smooth, usual

_kernels = Lazy("mivex.core.layers.kernels.patterns")


class Perforation(PatternParams):
    """Settings of ``perforation``."""

    kind: Literal["perforation"] = "perforation"
    lay: Literal["staggered", "square"] = setting(
        "staggered",
        "Layout",
        "Every second row moved, as in a honeycomb, or all in columns.",
        choices={"staggered": "Staggered", "square": "In columns"},
    )
    stagger: float = setting(0.5, "Stagger", "How far every second row is moved, against the spacing.", ge=0, le=1)
    hole: Literal["round", "square", "slot"] = setting(
        "round", "Holes", "Their shape.", choices={"round": "Round", "square": "Square", "slot": "Slots"}
    )
    spacing: int = setting(12, "Holes across", "Into the shorter side.", ge=1, le=256, drag=(2, 64))
    size: float = setting(0.7, "Hole size", "Against the spacing.", ge=0.01, le=1)
    long: float = setting(0.4, "Slot height", "Against its length.", ge=0.05, le=1)
    corner: float = setting(0.0, "Corner", "Rounds the corners; 1 makes a square hole round.", ge=0, le=1)
    soft: float = setting(
        0.0, "Softness", "Of the edge, against the spacing; 0 is as sharp as texels allow.", ge=0, le=1, drag=(0, 0.4)
    )
    invert: bool = setting(False, "Plate instead of holes", "Bright is the plate, dark the holes.")
    WHEN: ClassVar = {
        "stagger": ("lay", ("staggered",)),
        "long": ("hole", ("slot",)),
        "corner": ("hole", ("square", "slot")),
    }

    def lattice(self, h: int, w: int) -> tuple[int, int]:
        """Holes across and down. Staggered rows come in pairs, as near to √3/2 of the spacing as repeats."""
        nx, ny = counts(self.spacing, h, w)
        if self.lay == "staggered":
            ny = max(2, 2 * round(nx * h / w / math.sqrt(3) if self.hole != "slot" else ny / self.long / 2))
        elif self.hole == "slot":
            ny = max(1, round(ny / self.long / 1.0))
        return nx, ny

    def half_sizes(self, h: int, w: int) -> tuple[float, float, float]:
        """Half width, half height and corner radius of a hole, texels."""
        pitch = w / self.lattice(h, w)[0]
        rx = self.size * pitch / 2
        if self.hole == "round":
            return rx, rx, rx
        ry = rx * self.long if self.hole == "slot" else rx
        return rx, ry, self.corner * min(rx, ry)

    def share(self, h: int, w: int) -> float:
        """Share of the picture that holes take where they do not touch: rounded rectangles, ``4ab − (4 − π) c²``."""
        a, b, c = self.half_sizes(h, w)
        nx, ny = self.lattice(h, w)
        return (4 * a * b - (4 - math.pi) * c * c) * nx * ny / (w * h)


def draw_perforation(p: Perforation, h: int, w: int) -> Floats:
    """1 in the holes; or, inverted, in the plate."""
    out: Floats = np.empty((h, w), np.float32)
    nx, ny = p.lattice(h, w)
    a, b, c = p.half_sizes(h, w)
    f = np.float32
    shift = f(p.stagger if p.lay == "staggered" else 0)
    soft = f(max(1.0, p.soft * w / nx))
    run_bands(h, lambda y0, y1: _kernels.holes_rows(out, nx, ny, shift, f(a), f(b), f(c), soft, y0, y1))
    return np.asarray(1 - out, np.float32) if p.invert else out


class Net(PatternParams):
    """Settings of ``net``."""

    kind: Literal["net"] = "net"
    form: Literal["square", "diamond"] = setting(
        "diamond", "Mesh", "How its meshes stand.", choices={"square": "Square", "diamond": "On their points"}
    )
    meshes: int = setting(8, "Meshes", "Across the shorter side.", ge=1, le=128, drag=(2, 40))
    thick: float = setting(0.12, "Cord", "Its thickness against a mesh.", ge=0.005, le=0.9, drag=(0.02, 0.4))
    knots: float = setting(0.5, "Knots", "How much thicker it is where cords cross.", ge=0, le=2)
    seen: Literal["height", "cover"] = setting(
        "cover",
        "Output",
        "How high the cords stand, or only where they are.",
        choices={"height": "Height", "cover": "Cover"},
    )


def _cords(p: Net, h: int, w: int) -> tuple[Floats, Floats, float]:
    """Distance to the nearest cord of either way, in meshes; texels a mesh."""
    nx, ny = counts(p.meshes, h, w)
    x = ((np.arange(w, dtype=np.float64) + 0.5) / w * nx)[None]
    y = ((np.arange(h, dtype=np.float64) + 0.5) / h * ny)[:, None]
    u, v = (x + y, x - y) if p.form == "diamond" else (x + 0 * y, y + 0 * x)
    k = 1 / math.sqrt(2) if p.form == "diamond" else 1.0
    d = [np.asarray(np.abs(t - np.round(t)) * k, np.float32) for t in (u, v)]
    return d[0], d[1], (w / nx + h / ny) / 2


def draw_net(p: Net, h: int, w: int) -> Floats:
    """Two sets of cords with knots where they cross."""
    a, b, mesh = _cords(p, h, w)
    knot = np.maximum(0, 1 - np.hypot(a, b) / np.float32(p.thick * 1.6)) * np.float32(p.knots * p.thick * 0.6)
    r = np.float32(p.thick / 2) + knot
    # What of a texel lies on a cord.
    covers = [np.clip(np.minimum(d * mesh + 0.5, r * mesh) - np.maximum(d * mesh - 0.5, -r * mesh), 0, 1) for d in (a, b)]
    if p.seen == "cover":
        return np.asarray(1 - (1 - covers[0]) * (1 - covers[1]), np.float32)
    domes = [np.sqrt(np.clip(1 - (d / r) ** 2, 0, 1)) * c for d, c in zip((a, b), covers, strict=True)]
    return np.asarray(np.clip(np.maximum(*domes) * (0.7 + 0.3 * knot / max(p.thick, 1e-6)), 0, 1), np.float32)


class Lace(PatternParams):
    """Settings of ``lace``."""

    kind: Literal["lace"] = "lace"
    roses: int = setting(4, "Roses", "Across the shorter side.", ge=1, le=64, drag=(1, 16))
    petals: int = setting(8, "Petals", "Of each.", ge=3, le=24)
    thick: float = setting(0.06, "Thread", "Its thickness against a rose.", ge=0.005, le=0.5, drag=(0.02, 0.2))
    ground: int = setting(5, "Ground", "Meshes of the net between, to a rose.", ge=1, le=24)


def draw_lace(p: Lace, h: int, w: int) -> Floats:
    """Roses of looped thread in a ground of fine net."""
    nx, ny = counts(p.roses, h, w)
    x = ((np.arange(w, dtype=np.float32) + np.float32(0.5)) / w * nx)[None] + np.zeros((h, 1), np.float32)
    y = ((np.arange(h, dtype=np.float32) + np.float32(0.5)) / h * ny)[:, None] + np.zeros((1, w), np.float32)
    dx, dy = x - np.floor(x) - np.float32(0.5), y - np.floor(y) - np.float32(0.5)
    d, a = np.hypot(dx, dy), np.arctan2(dy, dx)
    texel = np.float32(nx / w)
    r = np.float32(p.thick / 2)

    def thread(far: Floats) -> Floats:
        return np.asarray(
            np.clip((np.minimum(far + texel / 2, r) - np.maximum(far - texel / 2, -r)) / texel, 0, 1), np.float32
        )

    leaf = np.float32(0.28) + np.float32(0.12) * np.abs(np.cos(a * np.float32(p.petals / 2)))
    rose = [thread(np.abs(d - leaf)), thread(np.abs(d - np.float32(0.1)))]
    spokes = np.abs(np.sin(a * np.float32(p.petals / 2))) * d / np.float32(p.petals / 2)
    rose.append(thread(spokes) * smooth(np.float32(0.3) - d, 0, 0.05) * smooth(d, 0.06, 0.1))
    net = Net(meshes=max(1, round(p.roses * p.ground)), thick=min(p.thick * p.ground, 0.6), knots=0)
    ground = draw_net(net, h, w) * smooth(d - leaf, 0.0, 0.02)
    return np.asarray(np.maximum(np.maximum.reduce(rose), ground), np.float32)


PATTERNS = (
    Pattern(
        Perforation,
        draw_perforation,
        "Perforation",
        "Holes through a plate: a screen, a grille.",
        usual(opacity=0.0),
    ),
    Pattern(
        Net,
        draw_net,
        "Net",
        "Cords with knots.",
        usual(colour=(0.45, 0.38, 0.24), opacity=1.0, roughness=0.85, height=0.3),
    ),
    Pattern(
        Lace,
        draw_lace,
        "Lace",
        "Roses in a ground of fine net.",
        usual(colour=(0.9, 0.88, 0.83), opacity=1.0, roughness=0.9, height=0.1),
    ),
)

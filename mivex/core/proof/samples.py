"""Small pictures of what each step does, for hints: a sample before and after."""

from importlib.resources import files

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.layers.builds import build_named, instance
from mivex.core.layers.model import Layer, Stack, base_for, walk
from mivex.core.picture.files import read_picture
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import to_display
from mivex.core.pixels.shapes import box, circle, filled, grid, noise, over, segment
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Context, StepParams, Surface
from mivex.core.project.document import Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.proof.flat import FlatView
from mivex.core.proof.layouts import draw_flat

cv2 = Lazy("cv2")

SIDE = 96
_TELLING: dict[str, dict[str, object]] = {
    "alpha-from": {"source": "luminance"},
    "levels": {"black": 0.25, "white": 0.7},
    "curve": {"points": ((0.0, 0.0), (0.35, 0.05), (0.6, 0.95), (1.0, 1.0))},
    "smoothstep": {"low": 0.3, "high": 0.75},
    "combine": {"how": "multiply", "take": "green", "invert": True},
    "grow": {"by": 7.0},
    "feather": {"width": 22.0, "side": "both"},
    "blur": {"radius": 5.0},
    "offset": {"x": 34, "y": 22},
    "tint": {"colour": (1.0, 0.55, 0.25)},
    "resize": {"to": "size", "width": 16, "height": 16},
    "clear-border": {"width": 6.0, "soft": 14.0},
    "unmatte": {},
    "noise": {"cells": 5, "contrast": 3.0},
    "text": {"text": "N4", "size": 0.7, "colour": (0.95, 0.85, 0.5), "outline": 3.0},
    "glow": {"amount": 1.5, "radius": 9.0},
    "add-tint": {"gain": 3.0, "x": 0.15, "y": 0.15},
    "take-channel": {"take": "green", "alpha": "keep"},
    "normal-from-height": {"strength": 3.0, "blur": 1.0, "take": "alpha"},
    "signed-distance": {"spread": 14.0},
    "clear-specks": {"faint": 0.5},
    "drop-loose": {"share": 0.5},
    "fall-off": {"radius": 0.4},
    "pad": {"left": 14, "right": 14, "top": 14, "bottom": 14},
    "recolour": {"red": (0.9, 0.4, 0.1), "green": (0.2, 0.6, 0.8), "blue": (0.9, 0.9, 0.6)},
    "key-colour": {"key": (0.16, 0.55, 0.26), "near": 0.05, "far": 0.3},
    "pack": {"red": {"take": "alpha"}, "green": {"take": "red"}, "blue": {"source": "value", "value": 0.2}},
    "shape": {"file": str(files("mivex.core") / "assets" / "sample.svg")},
    "threshold": {"at": 0.55},
}

_SHOWN = {"normal-from-height": "colour", "spread": "colour", "premultiply": "colour", "signed-distance": "alpha"}


def _shape() -> tuple[Floats, Floats]:
    y, x = grid(SIDE, SIDE)
    n = noise(SIDE, SIDE, 22, 5)
    body = circle(y, x, 44, 44, 27) + (n - 0.5) * 9
    arm = segment(y, x, (48, 50), (76, 74), 7)
    alpha = np.maximum(filled(body, 5), filled(arm, 4))
    rgb = np.broadcast_to(np.array((0.30, 0.50, 0.56), np.float32), (SIDE, SIDE, 3)).copy()
    rgb = over(rgb, (0.86, 0.88, 0.80), filled(circle(y, x, 36, 36, 11), 14))
    rgb = over(rgb, (0.16, 0.22, 0.28), filled(box(y, x, 66, 66, 6, 16, 4), 10) * np.float32(0.8))
    return rgb, alpha


def _sample(name: str) -> Floats:
    rgb, alpha = _shape()
    a = alpha[..., None]
    if name == "alpha-from":
        return np.dstack([to_display(np.clip(rgb * a, 0, 1)), np.ones_like(alpha)])
    if name == "key-colour":
        return np.dstack([rgb * a + np.array((0.16, 0.55, 0.26), np.float32) * (1 - a), np.ones_like(alpha)])
    if name == "clear-specks":
        y, x = grid(SIDE, SIDE)
        # Larger and denser than real ones, so that they can be seen at this size.
        dots = ((x.astype(int) % 11 < 2) & (y.astype(int) % 9 < 2) & (circle(y, x, 52, 54, 40) > 0)).astype(np.float32)
        return np.dstack([rgb, np.maximum(alpha, dots * np.float32(0.45))])
    if name == "drop-loose":
        y, x = grid(SIDE, SIDE)
        crumbs = np.maximum(filled(circle(y, x, 12, 14, 6)), filled(circle(y, x, 82, 80, 8)))
        return np.dstack([rgb, np.maximum(alpha, crumbs)])
    if name in ("unmatte", "spread"):
        return np.dstack([rgb * a, alpha])
    if name in ("make-tile", "clear-border"):
        y, x = grid(SIDE, SIDE)
        return np.dstack([rgb * 0.6 + 0.4 * (x / SIDE)[..., None], np.maximum(alpha, 0.35 + 0.5 * y / SIDE)])
    if name in ("levels", "curve", "threshold", "smoothstep"):
        return np.dstack([rgb, cv2.GaussianBlur(alpha, (0, 0), 9)])
    if name == "keep-coverage":
        y, x = grid(SIDE, SIDE)
        twigs = np.abs(noise(SIDE, SIDE, 9, 3, 2) - np.float32(0.5)) * 50 - np.float32(2.0)
        return np.dstack([rgb, filled(twigs, 1.5) * filled(circle(y, x, 48, 48, 44))])
    if name == "shape":
        return np.dstack([rgb, alpha * 0])
    return np.dstack([rgb, alpha])


def step_pictures(name: str, side: int = 72) -> tuple[NDArray[np.uint8], NDArray[np.uint8]]:
    """Before and after one step on a small sample, over a checker; uint8 (side, side, 3) each.

    Parameters
    ----------
    name : str
        The step's word in a recipe.
    side : int
        Pixels.
    """
    step = STEPS[name]
    values = np.ascontiguousarray(np.clip(_sample(name), 0, 1), np.float32)
    params: StepParams = step.params.model_validate({"step": name, **_TELLING.get(name, {})})
    surface = Surface(values)
    out = step.run(surface, params, Context(read_picture))
    level = 2 if name == "keep-coverage" else 0
    pictures = []
    for s in (surface, out):
        t = Texture(
            np.ascontiguousarray(np.clip(s.values, 0, 1)), data=s.data, premultiplied=s.premultiplied, coverage=s.coverage
        )
        zoom = min(side / t.width, side / t.height)
        show = _SHOWN.get(name, "over")
        blend = "Premultiplied" if s.premultiplied else "Cutout" if name == "keep-coverage" else "Translucent"
        view = FlatView(
            zoom=zoom,
            left=(side - t.width * zoom) / 2,
            top=(side - t.height * zoom) / 2,
            blend=blend,
            show=show,  # type: ignore[arg-type]
            level=level,
        )  # type: ignore[arg-type]
        pictures.append(draw_flat(t, view, side, side))
    return pictures[0], pictures[1]


def build_pictures(name: str, side: int = 72) -> tuple[NDArray[np.uint8], NDArray[np.uint8]]:
    """A build's kind of canvas before and after it, over a checker; uint8 (side, side, 3) each."""
    build = build_named(name)
    base = base_for(build.kind)
    # What covers is shown on an empty canvas, what wears something away on paint.
    covers = any(
        isinstance(r, Layer) and "opacity" in r.cells and r.cells["opacity"].number >= 0.5 for r in walk(build.group.rows)
    )
    if build.kind == "decal" and not covers:
        base = base.model_copy(update={"opacity": 1.0, "colour": (0.75, 0.7, 0.35)})
    evaluator = Evaluator(limit=1 << 26)
    pictures = []
    for rows in ((), (instance(build),)):
        o = Overlay(
            name=name,
            kind=build.kind,
            source=Source(canvas=(192, 192), meaning="colour"),  # type: ignore[arg-type]
            layers=Stack(base=base, rows=rows),
        )
        t = evaluator.texture(o)
        pictures.append(draw_flat(t, FlatView(zoom=side / t.width), side, side))
    return pictures[0], pictures[1]

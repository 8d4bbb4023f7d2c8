"""The stage seen otherwise: where the order is wrong, how much is drawn over, depth, normals, mip levels, alpha.

Each look is a picture with a scale and figures.
"""

from collections.abc import Callable
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError, Stopped
from mivex.core.base.lazy import Lazy
from mivex.core.base.messages import Message, named
from mivex.core.base.types import Floats
from mivex.core.stage.buffers import Buffers, Screen, sink_of
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.exact import draw_exact
from mivex.core.stage.lights import Lighting
from mivex.core.stage.passes import RenderPlan, draw_all, run

_paint = Lazy("mivex.core.stage.kernels.paint")

LOOKS: dict[str, str] = {
    "colour": "Colour",
    "order": "Order map",
    "overdraw": "Overdraw",
    "depth": "Depth",
    "normals": "Normals",
    "mip": "Mip level",
    "alpha": "Alpha",
}
HINTS: dict[str, str] = {
    "colour": "What a renderer with these settings draws.",
    "order": "How far the picture is from one in exact order: bright is wrong.",
    "overdraw": "Fragments that overlays spend on each pixel; hatched: most change nothing.",
    "depth": "What the depth test compares with, once all is drawn; near is bright.",
    "normals": "Which way what is seen faces: red right, green up, blue towards you.",
    "mip": "Which mip level is read: dark is the finest.",
    "alpha": "Alpha of the stage, as it would be delivered over nothing.",
}
MOST_LEVELS = 8


@dataclass(frozen=True, eq=False)
class Look:
    """One look.

    Attributes
    ----------
    name : str
        One of `LOOKS`.
    codes : uint8 array (height, width, 3)
    scale : tuple of (grey or colour, words)
        What its shades mean, from dark to bright.
    figures : dict
        Figures by name.
    values : float32 array (height, width)
        The measure behind the picture.
    counts : int array, optional
        Pixels by number of fragments: a histogram, for overdraw.
    """

    name: str
    codes: NDArray[np.uint8]
    scale: tuple[tuple[tuple[int, int, int], str], ...]
    figures: dict[str, float]
    values: Floats
    counts: NDArray[np.int64] = field(default_factory=lambda: np.zeros(0, np.int64))


def display_codes(buffers: Buffers, lighting: Lighting) -> NDArray[np.uint8]:
    """Display codes (height, width, 3), by the exposure and the view curve."""
    h, w = buffers.depth.shape
    out = np.empty((h, w, 3), np.uint8)
    Screen(out, lighting).write(buffers.colour, (0, h, 0, w))
    return out


def differs(a: NDArray[np.uint8], b: NDArray[np.uint8]) -> Floats:
    """Largest difference over the channels, in codes."""
    return np.asarray(np.abs(a.astype(np.int16) - b.astype(np.int16)).max(axis=2), np.float32)


def _grey(values: Floats) -> NDArray[np.uint8]:
    v = np.clip(values * 255 + 0.5, 0, 255).astype(np.uint8)
    return np.repeat(v[..., None], 3, axis=2)


def _tone(share: float) -> tuple[int, int, int]:
    v = round(share * 255)
    return v, v, v


def _order(draws: list[DrawCall], view: View, lighting: Lighting) -> Look:
    set_ = display_codes(draw_all(draws, view, lighting), lighting)
    exact = display_codes(draw_exact(draws, view, lighting), lighting)
    d = differs(set_, exact)
    # The square root lifts small errors out of the dark.
    shown = np.sqrt(np.clip(d / 128, 0, 1))
    mean = float(np.abs(set_.astype(np.int16) - exact.astype(np.int16)).mean())
    figures = {"mean": mean, "max": float(d.max()), "share": float((d > 2).mean())}
    marks = tuple((_tone(float(np.sqrt(n / 128))), f"{n}") for n in (0, 2, 8, 32, 128))
    return Look("order", _grey(shown), marks, figures, d)


def tallied(draws: list[DrawCall], view: View, lighting: Lighting) -> tuple[Floats, Floats]:
    """Fragments of overlays that passed the depth test, per pixel, and how many of them changed nothing."""
    shot = RenderPlan(draws, view)
    shot.lit_surfaces = False  # counted, not judged by colour: nothing is lit
    sink = sink_of(_paint.TALLY, 0, view.height, view.width)
    buffers = Buffers.of(view)
    for row, d in zip(shot.records.draws, draws, strict=False):
        row["looked"] = bool(d.owner)  # what surroundings draw is not the overlays' cost
    run(shot, buffers, lighting, None, sink=sink)
    return sink[2][0].astype(np.float32), sink[2][1].astype(np.float32)


def _overdraw(draws: list[DrawCall], view: View, lighting: Lighting, budget: float) -> Look:
    counts, vain = tallied(draws, view, lighting)
    top = max(budget * 2, 1.0)
    shown = np.clip(counts / top, 0, 1)
    codes = _grey(shown)
    y, x = np.mgrid[: view.height, : view.width]
    wasted = (counts > 0) & (vain * 2 > counts) & ((x + y) % 6 < 2)
    codes[wasted] = np.where(codes[wasted] > 127, codes[wasted] - 70, codes[wasted] + 70)
    hist = np.bincount(np.minimum(counts.astype(np.int64), 63).ravel(), minlength=8)
    seen = counts > 0
    figures = {
        "mean": float(counts.mean()),
        "max": float(counts.max()),
        "vain": float(vain.sum() / max(float(counts.sum()), 1.0)),
        "above": float((counts > budget).mean()),
        "fragments": float(counts.sum()),
        "covered": float(seen.mean()),
    }
    marks = tuple((_tone(min(n / top, 1)), Message("{n:g}", n=n)) for n in (0, budget / 2, budget, 2 * budget))
    return Look("overdraw", codes, marks, figures, counts, hist)


def _depth(draws: list[DrawCall], view: View, lighting: Lighting) -> Look:
    iw = draw_all(draws, view, lighting).depth
    far = np.divide(1.0, iw, out=np.full_like(iw, np.inf), where=iw > 0)
    seen = np.isfinite(far)
    low, high = (float(far[seen].min()), float(far[seen].max())) if seen.any() else (0.0, 1.0)
    # Evenly in 1/depth, as the buffer is: near things are told apart best.
    t = np.where(seen, (iw - 1 / high) / max(1 / low - 1 / high, 1e-9), 0) if seen.any() else np.zeros_like(iw)
    marks = (
        tuple(
            (_tone(s), Message("{value:.2f} m", value=1 / (1 / high + s * (1 / low - 1 / high))))
            for s in (0.0, 0.25, 0.5, 1.0)
        )
        if seen.any()
        else ()
    )
    figures = {"near": low, "far": high, "empty": float(1 - seen.mean())}
    return Look("depth", _grey(np.asarray(t, np.float32)), marks, figures, np.asarray(far, np.float32))


def _coded(draws: list[DrawCall], view: View, lighting: Lighting, mode: int) -> Buffers:
    shot = RenderPlan(draws, view)
    shot.lit_surfaces = False
    shot.records.draws["looked"] = 1
    buffers = Buffers.of(view)
    run(shot, buffers, lighting, None, sink=sink_of(mode))
    return buffers


def _normals(draws: list[DrawCall], view: View, lighting: Lighting) -> Look:
    made = _coded(draws, view, lighting, _paint.NORMAL)
    seen = made.colour[..., 3] > 0
    n = made.colour[..., :3] @ (view.axes * np.array([[1], [1], [-1]])).T.astype(np.float32)
    codes = np.where(seen[..., None], np.clip((n + 1) / 2 * 255 + 0.5, 0, 255), 0).astype(np.uint8)
    figures = {"away": float(((n[..., 2] < 0) & seen).sum() / max(int(seen.sum()), 1))}
    marks = (((128, 128, 255), "towards you"), ((255, 128, 128), "right"), ((128, 255, 128), "up"))
    return Look("normals", codes, marks, figures, np.asarray(n[..., 2], np.float32))


def _mip(draws: list[DrawCall], view: View, lighting: Lighting) -> Look:
    made = _coded(draws, view, lighting, _paint.LEVEL)
    seen = made.colour[..., 3] > 0
    level = np.where(seen, made.colour[..., 2], 0)
    codes = _grey(np.asarray(np.where(seen, 0.15 + 0.85 * np.clip(level / MOST_LEVELS, 0, 1), 0), np.float32))
    found = level[seen]
    figures = {
        "mean": float(found.mean()) if found.size else 0.0,
        "max": float(found.max()) if found.size else 0.0,
        "finest": float((found < 0.5).mean()) if found.size else 0.0,
    }
    marks = tuple((_tone(0.15 + 0.85 * k / MOST_LEVELS), f"{k}") for k in (0, 1, 2, 4, 8))
    return Look("mip", codes, marks, figures, np.asarray(level, np.float32))


def _alpha(draws: list[DrawCall], view: View, lighting: Lighting) -> Look:
    a = np.clip(draw_all(draws, view, lighting).colour[..., 3], 0, 1)
    figures = {"clear": float((a <= 0).mean()), "solid": float((a >= 1).mean())}
    marks = tuple((_tone(s), Message("{s:g}", s=s)) for s in (0.0, 0.5, 1.0))
    return Look("alpha", _grey(a), marks, figures, a)


def look_at(
    name: str,
    draws: list[DrawCall],
    view: View,
    lighting: Lighting | None = None,
    *,
    budget: float = 8.0,
    stop: Callable[[], bool] = lambda: False,
) -> Look:
    """One look of the stage.

    Parameters
    ----------
    name : str
        One of `LOOKS`.
    draws : list of DrawCall
        In their order.
    view : View
    lighting : Lighting, optional
    budget : float
        Fragments a pixel that the artist allows.
    stop : callable
        Asked before drawing; true raises Stopped.

    Raises
    ------
    MivexError
        There is no such look.
    """
    lighting = lighting or Lighting()
    if stop():
        raise Stopped
    if name == "colour":
        codes = display_codes(draw_all(draws, view, lighting), lighting)
        return Look(name, codes, (), {}, codes[..., 1].astype(np.float32))
    if name == "overdraw":
        return _overdraw(draws, view, lighting, budget)
    makers = {"order": _order, "depth": _depth, "normals": _normals, "mip": _mip, "alpha": _alpha}
    if name not in makers:
        raise MivexError(
            Message("“{name}” is no view of the stage; there are {parts}.", name=name, parts=named(", ", LOOKS))
        )
    return makers[name](draws, view, lighting)

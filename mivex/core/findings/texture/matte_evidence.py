"""How likely it is that a picture was cut from a backdrop: what the outline says, weighed by a regression.

Two comparisons speak. Each soft texel is set against the *solid* colour nearest to it, as in
:mod:`~mivex.core.findings.texture.matte_fit`; and against its most opaque *neighbour* within two texels, which takes
the picture's own texture out, since the two lie side by side. A matte draws both towards one colour as alpha falls,
by a share ``s·(1 − α)``; an outline or a shadow of its own colour does not depend on alpha; and where the backdrop is
still there under the clear texels, the faintest texels tend to it.

The figures of both are put together by a logistic regression. Its weights are learned from drawn pictures alone
(``tools/learn_matte.py``); ``docs/checks.md`` says how it does on pictures that nobody here made.
"""

import json
from dataclasses import dataclass
from functools import cache
from importlib.resources import files

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.findings.texture.matte_fit import LEAST_SOFT, around, on_screen
from mivex.core.findings.texture.outline import Outline, outline_of
from mivex.core.picture.texture import Texture
from mivex.core.pixels.ranks import percentile

cv2 = Lazy("cv2")

MOST = 4000
"""Texels that are asked: an outline of more says the same."""
BAND = 4.5
"""Texels from solid ones up to which a soft texel is compared with them."""
STEP = 0.12
"""A neighbour must be more opaque by so much."""
SHARES = (0.5, 0.7, 0.85, 0.99)
LIMITS = {"step_explained": (-0.5, 1.0), "hidden_explained": (-0.5, 1.0), "step_sure": (-3.0, 6.0), "step": (-2.0, 3.0)}
"""Ratios of small numbers say no more than this."""


@dataclass(frozen=True, eq=False)
class _Pairs:
    """Soft texels and what they are compared with: colours (n, 3), alphas (n,)."""

    colour: NDArray
    alpha: NDArray
    other: NDArray
    weight: NDArray
    other_alpha: NDArray
    close: float = 1.0
    """Share of the soft texels that lie within `BAND`."""


def _some(places: NDArray) -> NDArray:
    """At most `MOST` of them, spread evenly and by chance within each stretch."""
    if places.size <= MOST:
        # One by chance from each stretch: evenly spaced ones would meet the same column of a picture again and again.
        return places
    at = (np.arange(MOST) + np.random.default_rng(7).random(MOST)) * (places.size / MOST)
    return places[at.astype(np.int64)]


def _against_solid(rgb: NDArray, o: Outline) -> _Pairs:
    alpha, solid = o.alpha, o.solid
    soft = _some(o.soft)
    far = o.distance.reshape(-1)[soft]
    close = far <= BAND
    # Forty soft texels near solid ones say more than any number far from them, whose colour may have changed by
    # itself.
    if close.sum() >= 40:
        soft, far = soft[close], far[close]
    places, back = np.unique(o.index.reshape(-1)[soft], return_inverse=True)
    # The mean of the solid texels in a square of five: one texel may be grain.
    square = around(alpha.shape, places, 2)
    own = solid.reshape(-1)[square]
    inside = (rgb[square] * own[..., None]).sum(1) / own.sum(1)[:, None]
    a = alpha.reshape(-1)[soft].astype(np.float64)
    # What shows counts, and what lies near to the colour that it is compared with.
    weight = a / (1 + far)
    colours = rgb[soft].astype(np.float64), a, inside[back].astype(np.float64)
    return _Pairs(*colours, weight / weight.sum(), np.ones(len(a)), float(close.mean()))


def _against_neighbours(rgb: NDArray, alpha: Floats) -> _Pairs | None:
    # The highest alpha of the square, so that only texels with a clearly more opaque neighbour are asked.
    top = cv2.dilate(alpha, np.ones((5, 5), np.uint8))
    soft = np.flatnonzero((alpha > 0.03) & (alpha < 0.75) & (top - alpha > STEP))
    if soft.size < 20:
        return None
    soft = _some(soft)
    square = around(alpha.shape, soft, 2)
    near = alpha.reshape(-1)[square]
    best = near.argmax(1)[:, None]
    other = np.take_along_axis(square, best, 1)[:, 0]
    a = alpha.reshape(-1)[soft].astype(np.float64)
    b = alpha.reshape(-1)[other].astype(np.float64)
    # By the root: faint texels show less, but say most about what they were cut from.
    return _Pairs(rgb[soft].astype(np.float64), a, rgb[other].astype(np.float64), np.sqrt(a), b)


def _hidden(rgb: NDArray, alpha: Floats) -> tuple[NDArray, float]:
    """Colour under what is clear, and how far it is one colour."""
    clear = _some(np.flatnonzero(alpha <= 0.004))
    if clear.size <= 50:
        return np.zeros(3), 0.0
    held = rgb[clear]
    # The median, not the mean: what layers or exporters have left under clear texels is often two colours.
    middle = np.median(held, axis=0)
    return middle.astype(np.float64), float((np.abs(held - middle).max(1) < 0.02).mean())


def _ratio(part: NDArray, whole: float) -> float:
    return float(1 - part.sum() / max(whole, 1e-9))


def _solid_figures(p: _Pairs) -> tuple[dict[str, float], NDArray, float]:
    """Figures of the comparison with solid colour; the backdrop and the share that explain it best."""
    x, w, F, C = 1 - p.alpha, p.weight[:, None], p.other, p.colour
    d = C - F
    whole = float((w * d * d).sum())
    found: tuple[float, float, NDArray, float] | None = None
    for fixed in (0.0, 1.0, None):
        # Black and white first, with a share of their own; then any colour at four shares, each in closed form.
        if fixed is None:
            for s in (0.4, 0.6, 0.8, 1.0):
                q = ((w * x[:, None]) * (d + s * x[:, None] * F)).sum(0) / max(float((p.weight * x * x).sum()), 1e-9)
                B = np.clip(q / s, 0, 1)
                explained = _ratio(w * (d - s * x[:, None] * (B - F)) ** 2, whole)
                if found is None or explained > found[0] + 1e-7:
                    found = explained, explained, B, s
        else:
            lean = x[:, None] * (fixed - F)
            s = float(np.clip((w * lean * d).sum() / max(float((w * lean * lean).sum()), 1e-12), 0, 1))
            explained = _ratio(w * (d - s * lean) ** 2, whole)
            # A black or a white backdrop is by far the likeliest: another must explain four hundredths more.
            if found is None or explained + 0.04 > found[0]:
                found = explained + 0.04, explained, np.full(3, fixed), s
    assert found is not None
    _, explained, B, share = found
    # How far the lean grows as alpha falls, and how far it is there at any alpha: a matte grows, a tint does not.
    lean = B - F
    X, ww = np.stack([(x[:, None] * lean).ravel(), lean.ravel()], 1), np.repeat(p.weight, 3)
    normal = (X * ww[:, None]).T @ X + 1e-9 * np.eye(2)
    with_alpha, always = np.linalg.solve(normal, (X * ww[:, None]).T @ d.ravel())
    mean, lift = (w * C).sum(0), (w * d).sum(0)
    # The faintest third where hardly any texel is faint: a hard edge has few.
    low = p.alpha < 0.35
    if low.sum() < 12:
        low = p.alpha <= np.quantile(p.alpha, 0.3)
    high = p.alpha > 0.65
    spread = [
        float(np.sqrt(((v - v.mean(0)) ** 2).sum(1).mean()))
        for v in (F[low], C[low], C[high] if high.sum() > 8 else F[low])
    ]
    faint = np.average(C[low], axis=0, weights=x[low] ** 2)
    # The picture's own colour, solved for: C = (1 − s·x)·F + s·x·B. Divided by little, rounding grows with it: `slack`.
    kept = np.maximum(1 - share * x, 0.02)[:, None]
    free = B + (C - B) / kept
    slack = 1.5 / 255 / kept + 0.03
    seen = on_screen(C.astype(np.float32), np.clip(free, 0, 1).astype(np.float32), p.alpha.astype(np.float32), True, False)
    error = float(np.log1p(percentile(seen, 95)))
    # How far each texel has gone from its solid colour to the backdrop, 0 to 1.
    long = np.linalg.norm(lean, axis=1)
    moved = (d * lean).sum(1) / np.maximum(long, 0.05) ** 2
    thirds = [
        float(moved[m].mean()) if (m := (p.alpha >= lo) & (p.alpha < hi)).sum() > 5 else float(moved.mean())
        for lo, hi in ((0.0, 0.33), (0.33, 0.66), (0.66, 1.0))
    ]
    return (
        {
            "explained": explained,
            "share": share,
            "with_alpha": float(with_alpha),
            "always": float(always),
            "own_colour": _ratio(w * (C - mean) ** 2, whole) - explained,
            "one_lift": _ratio(w * (d - lift) ** 2, whole) - explained,
            "collapse": float(np.log((spread[1] + 0.01) / (spread[0] + 0.01))),
            "collapse_soft": float(np.log((spread[1] + 0.01) / (spread[2] + 0.01))),
            "shift": float(np.abs(np.average(d[low], axis=0, weights=x[low])).max()),
            "away": float(np.abs(faint - B).max()),
            "nearer": float((np.abs(C[low] - B).sum(1) < np.abs(C[low] - F[low]).sum(1)).mean()),
            "impossible": float(((free < -slack) | (free > 1 + slack)).any(1).mean()),
            "error": error,
            "left": float(np.sqrt((w * (d - share * x[:, None] * lean) ** 2).sum())),
            "departure": float(np.sqrt(whole)),
            "faint_third": thirds[0],
            "middle_third": thirds[1],
            "strong_third": thirds[2],
            "spread_inside": spread[0],
            "spread_faint": spread[1],
            "bright": float(B.mean()),
            "chroma": float(np.ptp(B)),
            "error_explained": error * max(explained, 0.0),
            "share_explained": share * max(explained, 0.0),
        },
        B,
        share,
    )


def _step_figures(p: _Pairs | None, hidden: NDArray, one: float, error: float) -> tuple[dict[str, float], NDArray, float]:
    """Figures of the comparison with neighbours; the backdrop and the share that explain it best."""
    names = (
        "step_explained",
        "step_share",
        "hidden_explained",
        "step",
        "step_towards",
        "step_away",
        "step_sure",
        "step_size",
    )
    if p is None:
        return {n: 0.0 for n in (*names, "step_both", "step_error", "hidden_step", "hidden_towards")}, np.zeros(3), 0.0
    C, N, x, xo, w = p.colour, p.other, 1 - p.alpha, 1 - p.other_alpha, p.weight[:, None]
    whole = float((w * (C - N) ** 2).sum()) + 1e-9
    backs = [np.zeros(3), np.ones(3)] + ([hidden] if one > 0.8 else [])
    if (low := p.alpha < 0.3).sum() > 12:
        backs.append(np.median(C[low], axis=0))
    best, of_hidden = (-np.inf, 0.5, backs[0]), -0.3
    # Worse than any explanation, so that the first is taken; for the hidden colour a floor, where there is none.
    for k, B in enumerate(backs):
        for s in SHARES:
            # The neighbour's own colour without its share of the backdrop: it is a little clear itself.
            F = np.clip(B + (N - B) / (1 - s * xo)[:, None], 0, 1)
            explained = _ratio(w * (C - F - s * x[:, None] * (B - F)) ** 2, whole)
            if explained > best[0]:
                best = explained, s, B
            if k == 2 and one > 0.8:
                of_hidden = max(of_hidden, explained)
    towards = best[2] - N
    # Against a twentieth of the range, so that a backdrop of the neighbour's own colour does not divide by nothing.
    long = np.linalg.norm(towards, axis=1) + 0.05
    moved = np.clip(((C - N) * towards).sum(1) / long**2 / np.maximum(x - xo, 0.05), -2, 3)
    quarters = np.percentile(moved, (25, 50, 75))
    figures = {
        "step_explained": best[0],
        "step_share": best[1],
        "hidden_explained": of_hidden,
        "step": float(quarters[1]),
        "step_towards": float((moved > 0.2).mean()),
        "step_away": float((moved < -0.1).mean()),
        "step_sure": float(quarters[1] / (quarters[2] - quarters[0] + 0.1)),
        "step_size": float(np.sqrt(whole / max(float(w.sum()), 1e-9))),
    }
    # Ratios of small numbers run off in pictures without an edge; the regression was taught with the same limits.
    figures = {k: float(np.clip(v, *LIMITS.get(k, (-10.0, 10.0)))) for k, v in figures.items()}
    held = max(figures["hidden_explained"], 0.0) * (one > 0.8)
    return (
        figures
        | {
            "step_both": max(figures["step_explained"], 0.0) * figures["step_towards"],
            "step_error": error * max(figures["step_explained"], 0.0),
            "hidden_step": held,
            "hidden_towards": held * figures["step_towards"],
        },
        best[2],
        best[1],
    )


@dataclass(frozen=True)
class Evidence:
    """What the outline says of a matte.

    Attributes
    ----------
    figures : dict of str to float
        The single figures.
    backdrop : (r, g, b)
        Display values of the colour that explains the outline best.
    share : float
        How much of it, 0 to 1.
    left_behind : bool
        The backdrop's colour stands under the clear texels, too.
    wide : bool
        Most soft texels lie far from solid ones: a glow or smoke rather than an outline.
    """

    figures: dict[str, float]
    backdrop: tuple[float, float, float]
    share: float
    left_behind: bool
    wide: bool

    @property
    def error(self) -> float:
        """What it changes on screen: 95th percentile over black, mid grey and white, 0 to 255."""
        return float(np.expm1(self.figures["error"]))

    @property
    def odds(self) -> float:
        """Logarithm of the odds of a matte, by the learned weights."""
        names, mean, deviation, weights = _learned()
        # Four deviations: beyond what it has learned from, a straight weight would go on for ever.
        z = np.clip((np.array([self.figures[n] for n in names]) - mean) / deviation, -4, 4)
        return float(z @ weights[:-1] + weights[-1])


def matte_evidence(texture: Texture) -> Evidence | None:
    """Ask the outline of a picture whether it was cut from a backdrop.

    Returns
    -------
    Evidence, or None where there are too few soft or solid texels to tell.
    """
    o = outline_of(texture, LEAST_SOFT)
    if o is None:
        return None
    alpha = o.alpha
    rgb = texture.values.reshape(-1, texture.values.shape[2])[:, :3]
    # Of all channels at once, which lie in one piece; alpha is never beyond.
    # Values in display range are the rule: a copy of the whole picture is made only where one is not.
    if float(texture.values.max(initial=0.0)) > 1 or float(texture.values.min(initial=0.0)) < 0:
        rgb = np.clip(rgb, 0, 1)  # light beyond the display's, or colour divided by a small alpha
    pairs = _against_solid(rgb, o)
    hidden, one = _hidden(rgb, alpha)
    first, back, share = _solid_figures(pairs)
    second, near_back, near_share = _step_figures(_against_neighbours(rgb, alpha), hidden, one, first["error"])
    faint = _some(np.flatnonzero((alpha > 0.02) & (alpha < 0.25)))
    strong = _some(np.flatnonzero(alpha > 0.9))
    strong = strong if strong.size else _some(np.flatnonzero(alpha > 0.5))
    tends, apart = 0.0, 0.0
    if faint.size > 12 and one > 0.8 and strong.size:
        inside = rgb[strong].mean(0)
        apart = float(np.abs(inside - hidden).sum())
        tends = float(np.clip(1 - np.abs(rgb[faint].mean(0) - hidden).sum() / (apart + 0.05), -1, 1))
    lit = float(hidden.max()) > 0.08
    figures = {
        **first,
        **second,
        "hidden_one": one,
        "hidden_bright": float(hidden.max()),
        "tends_to_hidden": tends,
        "hidden_apart": apart,
        # Black under clear texels is what tools write by themselves: only another colour speaks of a backdrop.
        "tends_to_lit": tends * lit,
        "hidden_lit_step": second["hidden_step"] * lit,
    }
    # The comparison with neighbours is nearer to the edge; where it explains more, its colour is the one to take
    # out.
    if second["step_explained"] > first["explained"] and near_share:
        back, share = near_back, near_share
    r, g, b = (round(float(v), 3) for v in back)
    behind = one > 0.8 and bool(np.abs(hidden - back).max() < 0.1)
    return Evidence(figures, (r, g, b), share, behind, pairs.close < 0.5)


@cache
def _learned() -> tuple[list[str], NDArray, NDArray, NDArray]:
    text = (files("mivex.core") / "assets" / "learned" / "matte.json").read_text("utf-8")
    held = json.loads(text)
    return held["names"], np.array(held["mean"]), np.array(held["deviation"]), np.array(held["weights"])

"""Looking for a matte in soft texels: the arithmetic behind the finding.

Where a cut was not clean, a soft texel holds ``C = F + s·(1 − α)·(B − F)`` in
place of its own colour ``F``: it leans towards one matte ``B`` as alpha falls,
with share ``s``. Every soft texel is set against the nearest solid colour. Three
explanations compete, in display values and in linear light: a black matte and a
white one, with ``s`` fitted by weighted least squares, and any one colour, with
``s·B`` and ``s`` fitted together. Against them stands the plain one, that the
soft texels simply have a colour of their own, as a drop shadow has.

References
----------
Porter and Duff (1984), *Compositing Digital Images*, for the model; the jackknife
over parts (Quenouille 1956) for how sure the share is.
"""

from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import to_display, to_linear
from mivex.core.pixels.nearest import nearest
from mivex.core.prepare.base import Space
from mivex.core.prepare.mattes import colour_under

cv2 = Lazy("cv2")

SHARE_SLACK = 0.03
OUTLINE = 3.0
"""Soft texels this near to clear ones, in texels, are the outline."""
NEAR_BLACK_OR_WHITE = 0.1
PARTS = 8
REACH = 3
"""Solid colour is averaged over so many texels either way."""
_SAMPLE = 3_000


@dataclass(frozen=True)
class MatteFit:
    """The matte that explains how soft texels depart from the solid colour.

    Attributes
    ----------
    matte : (r, g, b)
        Display values.
    share, unsure : float
        How much of it is there, 0 to 1, and the standard error of that.
    explained : float
        Part of the departure that the model explains, up to 1.
    plain, own : float
        Part that a departure independent of alpha, and one colour of the soft texels' own, would explain.
    agreed : float
        Share of the soft texels, weighed by alpha, that the model brings near to what they hold.
    space : str
        In which values the blend was once made.
    error : float
        95th percentile of what it changes on screen, over black, mid grey and white, 0 to 255.
    outline : float
        Part explained where the shape meets clear texels; equal to `explained` where there are none.
        Shaded shapes, say bright glass round a dull middle, fit inside but not here.
    impossible : float
        Share of soft texels whose recovered colour would lie outside [0, 1]: no real paint can have been
        there, so the lean is the shape's own shading. A repair would clip them.
    narrow : bool
        Most soft texels lie within a few texels of solid ones: an outline, not a glow.
    """

    matte: tuple[float, float, float]
    share: float
    unsure: float
    explained: float
    plain: float
    own: float
    agreed: float
    space: Space
    error: float
    outline: float
    impossible: float
    narrow: bool

    @property
    def neutral(self) -> bool:
        """Whether the matte is nearly black or nearly white in every channel."""
        return max(self.matte) <= NEAR_BLACK_OR_WHITE or min(self.matte) >= 1 - NEAR_BLACK_OR_WHITE


@dataclass(frozen=True, eq=False)
class _Sample:
    """Soft texels, each with the solid colour nearest to it; arrays (n, 3) and (n,)."""

    C: NDArray
    solid: NDArray
    solid_alpha: NDArray
    a: NDArray
    w: NDArray
    rim: NDArray
    part: NDArray


def fit_matte(texture: Texture) -> MatteFit | None:
    """Look for a matte left in soft texels.

    Returns
    -------
    MatteFit, or None where there are too few soft or solid texels to tell, or no departure worth explaining.
    """
    rgb, alpha = texture.values[..., :3], texture.alpha
    solid = alpha >= np.float32(min(0.98, 0.9 * float(alpha.max())))
    soft = np.flatnonzero((alpha > 0.02) & (alpha < 0.96) & ~solid)
    if soft.size < 24 or not solid.any():
        return None
    index, distance = nearest(solid)
    if soft.size > _SAMPLE:
        # One from each of as many stretches: spread over the picture, and no column of it is met too often.
        at = (np.arange(_SAMPLE) + np.random.default_rng(7).random(_SAMPLE)) * (soft.size / _SAMPLE)
        soft = soft[at.astype(np.int64)]
    far = distance.reshape(-1)[soft]
    near = index.reshape(-1)[soft]
    del index, distance
    a = alpha.reshape(-1)[soft].astype(np.float64)
    clear = alpha <= np.float32(0.02)
    rim = np.zeros(len(soft), bool)
    if clear.any():
        rim = cv2.distanceTransform((~clear).astype(np.uint8), cv2.DIST_L2, 3).reshape(-1)[soft] <= OUTLINE
    # Parts of the picture for the jackknife: sectors round the middle of what is soft.
    y, x = soft // alpha.shape[1], soft % alpha.shape[1]
    turn = np.arctan2(y - y.mean(), x - x.mean())
    part = np.minimum(((turn / np.pi + 1) / 2 * PARTS).astype(int), PARTS - 1)
    w = a / (1 + far / max(alpha.shape))
    narrow = bool(np.median(far) <= OUTLINE and np.percentile(far, 90) <= 8)
    spaces: tuple[Space, ...] = ("display", "linear") if texture.meaning == "colour" else ("display",)
    best: tuple[MatteFit, tuple] | None = None
    for space in spaces:
        decode = space == "linear"
        C = rgb.reshape(-1, 3)[soft]
        smooth = _smoothed(rgb, alpha, solid, near, decode)
        C = (to_linear(C) if decode else C).astype(np.float64)
        sample = _Sample(C, smooth[:, :3], smooth[:, 3], a, w, rim, part)
        for fit in _explanations(sample, space, texture.meaning == "data", narrow):
            if best is None or _merit(fit[0]) > _merit(best[0]) + 0.002:
                best = fit
    return None if best is None else replace(best[0], unsure=_unsure(*best[1]))


def _merit(fit: MatteFit) -> float:
    # A black or a white matte is by far the likeliest: it stands unless another explains clearly more.
    return fit.explained - fit.impossible + (0.03 if fit.neutral else 0.0)


def _smoothed(rgb: Floats, alpha: Floats, solid: NDArray, near: NDArray, decode: bool) -> NDArray:
    """Solid colour and its alpha at some texels, smoothed over its own kind, so that grain does not pass for a lean."""
    h, w = alpha.shape
    places, back = np.unique(near, return_inverse=True)
    sums = np.zeros((len(places), 4), np.float32)
    count = np.zeros(len(places), np.float32)
    y, x = places // w, places % w
    for dy in range(-REACH, REACH + 1):
        for dx in range(-REACH, REACH + 1):
            j, i = np.clip(y + dy, 0, h - 1), np.clip(x + dx, 0, w - 1)
            own = solid[j, i]
            colour = rgb[j, i]
            sums[own, :3] += (to_linear(colour) if decode else colour)[own]
            sums[own, 3] += alpha[j, i][own]
            count += own
    return (sums / np.maximum(count, 1)[:, None]).astype(np.float64)[back]


def _explained(d: NDArray, model: NDArray, w: NDArray) -> float:
    whole = max(float((w[:, None] * d * d).sum()), 1e-12)
    return float(1 - (w[:, None] * (d - model) ** 2).sum() / whole)


def _share_of(B: NDArray, x: NDArray, F: NDArray, d: NDArray, w: NDArray) -> float:
    """Least squares for ``d = s·x·(B − F)``."""
    lean = x[:, None] * (B - F)
    return float(np.clip((w[:, None] * lean * d).sum() / max((w[:, None] * lean * lean).sum(), 1e-12), 0, 1))


def _free(x: NDArray, F: NDArray, d: NDArray, w: NDArray) -> tuple[NDArray, float]:
    """Least squares for ``d = x·(q − s·F)`` with ``0 ≤ s ≤ 1``; returns q and s."""
    wx2 = w * x * x
    total = max(float(wx2.sum()), 1e-12)
    Fm = (wx2[:, None] * F).sum(0) / total
    dm = ((w * x)[:, None] * d).sum(0) / total
    spread = (wx2[:, None] * (F - Fm) ** 2).sum()
    lean = ((w * x)[:, None] * (F - Fm) * d).sum()
    # A faint pull towards a full share decides where all solid colours are alike: the repair is then the same.
    faint = total * 3 * 0.004**2
    best = float(np.clip((faint - lean) / (spread + faint), 0, 1))

    def with_share(s: float) -> tuple[NDArray, float, float]:
        q = dm + s * Fm
        if s > 1e-3:
            q = np.clip(q / s, 0, 1) * s
        return q, s, _explained(d, x[:, None] * (q - s * F), w)

    # Colour that varies between a soft texel and its solid neighbour draws the share down;
    # a full one, the usual case, stands where it explains as much.
    free, full = with_share(best), with_share(1.0)
    chosen = full if full[2] >= free[2] - SHARE_SLACK else free
    return chosen[0], chosen[1]


def _explanations(k: _Sample, space: Space, data: bool, narrow: bool) -> list[tuple[MatteFit, tuple]]:
    x = 1 - k.a
    d0 = k.C - k.solid
    if np.percentile(np.abs(d0).max(axis=1) * k.a, 95) < 2 / 255:
        return []
    made = []
    for name in ("black", "white", "any"):
        q, s, F = np.zeros(3), 0.0, k.solid
        for _ in range(4):
            d = k.C - F
            if name == "any":
                q, s = _free(x, F, d, k.w)
            else:
                B = np.full(3, float(name == "white"))
                s = _share_of(B, x, F, d, k.w)
                s = 1.0 if s > 1 - SHARE_SLACK else s
                q = s * B
            # What counts as solid may itself be a little clear: take the matte out of it too.
            keep = np.maximum(1 - s * (1 - k.solid_alpha), 0.05)[:, None]
            F = np.clip((k.solid - (1 - k.solid_alpha)[:, None] * q) / keep, 0, 1)
        fixed = None if name == "any" else np.full(3, float(name == "white"))
        made.append((_judged(k, x, q, s, F, space, data, narrow), (k, x, F, k.C - F, fixed)))
    return made


def _judged(k: _Sample, x: NDArray, q: NDArray, s: float, F: NDArray, space: Space, data: bool, narrow: bool) -> MatteFit:
    d = k.C - F
    model = x[:, None] * (q - s * F)
    explained = _explained(d, model, k.w)
    plain_q, plain_s = _free(np.ones_like(x), F, d, k.w)
    plain = _explained(d, plain_q - plain_s * F, k.w)
    mean = (k.w[:, None] * k.C).sum(0) / k.w.sum()
    own = _explained(d, mean - F, k.w)
    off, size = np.abs(d - model).max(axis=1), np.abs(d).max(axis=1)
    # Small departures say nothing for or against: only what would show is asked.
    asked = size * k.a > 2 / 255
    near = off <= np.maximum(6 / 255, 0.35 * size)
    agreed = float((k.w * near)[asked].sum() / max(float(k.w[asked].sum()), 1e-12)) if asked.any() else 0.0
    outline = explained
    if k.rim.sum() >= 16:
        outline = _explained(d[k.rim], model[k.rim], k.w[k.rim])
    B = np.clip(q / s, 0, 1) if s > 1e-3 else np.zeros(3)
    kept = np.maximum((1 - s * x)[:, None], 1e-3)
    free = B + (k.C - B) / kept
    slack = 1 / 255 / kept + 0.03
    impossible = float(((free < -slack) | (free > 1 + slack)).any(axis=1).mean())
    matte = B.astype(np.float32)
    fixed = colour_under(k.C[None].astype(np.float32), matte, k.a[None].astype(np.float32), s)[0]
    if space == "linear" and not data:
        matte = to_display(matte)
    error = float(
        np.percentile(
            on_screen(k.C.astype(np.float32), fixed, k.a.astype(np.float32), space == "display" and not data, data), 95
        )
    )
    r, g, b = (round(float(v), 3) for v in matte)
    return MatteFit((r, g, b), round(s, 3), 1.0, explained, plain, own, agreed, space, error, outline, impossible, narrow)


def _unsure(k: _Sample, x: NDArray, F: NDArray, d: NDArray, B: NDArray | None) -> float:
    """Standard error of the share: the jackknife, leaving out one part of the picture at a time."""
    shares = []
    for p in range(PARTS):
        left = k.part != p
        if left.all() or left.sum() < 16:
            continue
        args = x[left], F[left], d[left], k.w[left]
        shares.append(_share_of(B, *args) if B is not None else _free(*args)[1])
    n = len(shares)
    if n < 2:
        return 1.0
    return float(np.sqrt((n - 1) / n * ((np.array(shares) - np.mean(shares)) ** 2).sum()))


def on_screen(before: Floats, after: Floats, a: Floats, decode: bool, data: bool) -> Floats:
    """What a change of colour does on screen, the largest over black, middle grey and white, (n,), 0 to 255."""
    if decode:
        before, after = to_linear(before), to_linear(after)
    worst = np.zeros(len(a), np.float32)
    for back in (0.0, 0.5, 1.0):
        level = np.full(1, back, np.float32)
        behind = (1 - a[:, None]) * (level if data else to_linear(level))
        seen = [np.clip(c * a[:, None] + behind, 0, 1) for c in (before, after)]
        if not data:
            seen = [to_display(c) for c in seen]
        worst = np.maximum(worst, np.abs(seen[0] - seen[1]).max(axis=1))
    return worst * 255

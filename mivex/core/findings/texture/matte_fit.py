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

from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.findings.texture.outline import SOFT, Outline, outline_of
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import to_display, to_linear
from mivex.core.pixels.ranks import percentile
from mivex.core.prepare.base import Space
from mivex.core.prepare.mattes import colour_under

cv2 = Lazy("cv2")

SHARE_SLACK = 0.03
OUTLINE = 3.0
"""Soft texels this near to clear ones, in texels, are the outline."""
NEAR_BLACK_OR_WHITE = 0.1
PARTS = 8
LEAST_SOFT = 24
"""Soft texels below which an outline says nothing."""
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
        return _neutral(self.matte)


def _neutral(matte: tuple[float, float, float]) -> bool:
    return max(matte) <= NEAR_BLACK_OR_WHITE or min(matte) >= 1 - NEAR_BLACK_OR_WHITE


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
    o = outline_of(texture, LEAST_SOFT)
    if o is None:
        return None
    alpha, soft = o.alpha, o.soft
    if soft.size > _SAMPLE:
        # One from each of as many stretches: spread over the picture, and no column of it is met too often.
        # By chance with a fixed seed: the same picture gives the same fit.
        at = (np.arange(_SAMPLE) + np.random.default_rng(7).random(_SAMPLE)) * (soft.size / _SAMPLE)
        soft = soft[at.astype(np.int64)]
    far = o.distance.reshape(-1)[soft]
    near = o.index.reshape(-1)[soft]
    a = alpha.reshape(-1)[soft].astype(np.float64)
    rim = _beside_clear(alpha, soft)
    # Parts of the picture for the jackknife: sectors round the middle of what is soft, since a backdrop that was not even
    # (a gradient, a lamp) departs from one side to the other.
    y, x = soft // alpha.shape[1], soft % alpha.shape[1]
    turn = np.arctan2(y - y.mean(), x - x.mean())
    part = np.minimum(((turn / np.pi + 1) / 2 * PARTS).astype(int), PARTS - 1)
    w = a / (1 + far / max(alpha.shape))
    narrow = bool(np.median(far) <= OUTLINE and percentile(far, 90) <= 8)
    spaces: tuple[Space, ...] = ("display", "linear") if texture.meaning == "colour" else ("display",)
    best: _Story | None = None
    kin = _kin(o, near)
    for space in spaces:
        colour = (texture.linear if space == "linear" else texture.values).reshape(-1, texture.values.shape[2])
        C = colour[soft, :3].astype(np.float64)
        smooth = _smoothed(colour, alpha, *kin)
        sample = _Sample(C, smooth[:, :3], smooth[:, 3], a, w, rim, part)
        # A later story has to be better by more than rounding, so that black before white before any does not hang on
        # it.
        for story in _explanations(sample, space, texture.meaning == "data"):
            if best is None or story.merit > best.merit + 0.002:
                best = story
    return None if best is None else _judged(best, texture.meaning == "data", narrow)


def around(shape: tuple[int, int], places: NDArray, reach: int) -> NDArray:
    # As one index into the flat picture: several times as fast as a window for each.
    """Flat places of the square round each place, (n, (2 reach + 1)²), held at the border."""
    h, w = shape
    step = np.arange(-reach, reach + 1)
    j = np.clip((places // w)[:, None, None] + step[None, :, None], 0, h - 1)
    i = np.clip((places % w)[:, None, None] + step[None, None, :], 0, w - 1)
    return np.asarray((j * w + i).reshape(len(places), -1))


def _beside_clear(alpha: Floats, soft: NDArray) -> NDArray[np.bool_]:
    """Whether soft texels lie within `OUTLINE` texels of a clear one."""
    reach = int(OUTLINE)
    step = np.arange(-reach, reach + 1)
    round_ = (step[:, None] ** 2 + step[None] ** 2 <= OUTLINE**2).reshape(-1)
    square = around(alpha.shape, soft, reach)[:, round_]
    return np.asarray((alpha.reshape(-1)[square] <= np.float32(SOFT)).any(axis=1))


def _kin(o: Outline, near: NDArray) -> tuple[NDArray, NDArray, NDArray]:
    """The squares round the solid texels ``near``: flat places, which of them are solid, and the way back to ``near``."""
    places, back = np.unique(near, return_inverse=True)
    square = around(o.alpha.shape, places, REACH)
    return square, o.solid.reshape(-1)[square], back


def _smoothed(colour: Floats, alpha: Floats, square: NDArray, own: NDArray, back: NDArray) -> NDArray:
    # The kernel of `own` keeps clear and soft neighbours out; where there is none the texel itself has been chosen
    # as solid.
    """Solid colour and its alpha at some texels, smoothed over its own kind, so that grain does not pass for a lean."""
    share = (own / np.maximum(own.sum(axis=1), 1)[:, None]).astype(np.float32)
    smooth = np.empty((len(square), 4))
    smooth[:, :3] = np.einsum("nk,nkc->nc", share, colour[square, :3])
    smooth[:, 3] = (share * alpha.reshape(-1)[square]).sum(axis=1)
    return smooth[back]


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


@dataclass(frozen=True, eq=False)
class _Story:
    """One explanation of a sample: a backdrop, its share, and what the solid colour then is.

    ``q`` is the share times the backdrop, both in the values of ``space``; ``fixed`` is the backdrop where it was given.
    """

    sample: _Sample
    space: Space
    q: NDArray
    share: float
    solid: NDArray
    fixed: NDArray | None
    matte: tuple[float, float, float]
    explained: float
    impossible: float

    @property
    def backdrop(self) -> NDArray:
        return np.clip(self.q / self.share, 0, 1) if self.share > 1e-3 else np.zeros(3)

    @property
    def merit(self) -> float:
        # A black or a white matte is by far the likeliest: it stands unless another explains clearly more.
        return self.explained - self.impossible + (0.03 if _neutral(self.matte) else 0.0)


def _explanations(k: _Sample, space: Space, data: bool) -> Iterator[_Story]:
    x = 1 - k.a
    d0 = k.C - k.solid
    if percentile(np.abs(d0).max(axis=1) * k.a, 95) < 2 / 255:
        return
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
        B = np.clip(q / s, 0, 1) if s > 1e-3 else np.zeros(3)
        explained = _explained(k.C - F, x[:, None] * (q - s * F), k.w)
        kept = np.maximum((1 - s * x)[:, None], 1e-3)
        free = B + (k.C - B) / kept
        slack = 1 / 255 / kept + 0.03
        impossible = float(((free < -slack) | (free > 1 + slack)).any(axis=1).mean())
        seen = B.astype(np.float32)
        r, g, b = (round(float(v), 3) for v in (to_display(seen) if space == "linear" and not data else seen))
        yield _Story(
            k,
            space,
            q,
            s,
            F,
            None if name == "any" else np.full(3, float(name == "white")),
            (r, g, b),
            explained,
            impossible,
        )


def _judged(story: _Story, data: bool, narrow: bool) -> MatteFit:
    """The figures of the explanation that stands."""
    k, q, s, F = story.sample, story.q, story.share, story.solid
    x, d = 1 - k.a, k.C - F
    model = x[:, None] * (q - s * F)
    plain_q, plain_s = _free(np.ones_like(x), F, d, k.w)
    plain = _explained(d, plain_q - plain_s * F, k.w)
    mean = (k.w[:, None] * k.C).sum(0) / k.w.sum()
    own = _explained(d, mean - F, k.w)
    off, size = np.abs(d - model).max(axis=1), np.abs(d).max(axis=1)
    # Small departures say nothing for or against: only what would show is asked.
    asked = size * k.a > 2 / 255
    near = off <= np.maximum(6 / 255, 0.35 * size)
    agreed = float((k.w * near)[asked].sum() / max(float(k.w[asked].sum()), 1e-12)) if asked.any() else 0.0
    outline = story.explained
    if k.rim.sum() >= 16:
        outline = _explained(d[k.rim], model[k.rim], k.w[k.rim])
    backdrop = story.backdrop.astype(np.float32)
    fixed = colour_under(k.C[None].astype(np.float32), backdrop, k.a[None].astype(np.float32), s)[0]
    decode = story.space == "display" and not data
    seen = on_screen(k.C.astype(np.float32), fixed, k.a.astype(np.float32), decode, data)
    return MatteFit(
        story.matte,
        round(s, 3),
        _unsure(k, x, F, d, story.fixed),
        story.explained,
        plain,
        own,
        agreed,
        story.space,
        percentile(seen, 95),
        outline,
        story.impossible,
        narrow,
    )


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

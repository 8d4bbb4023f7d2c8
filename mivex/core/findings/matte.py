"""Matte: soft texels that still carry the backdrop they were cut from.

Where a cut was not clean, a soft texel holds ``C = F + s·(1 − α)·(B − F)`` in
place of its own colour ``F``: it leans towards one matte ``B`` as alpha falls,
with share ``s``. Every soft texel is set against the nearest solid colour and
``s·B`` and ``s`` are found together by weighted least squares, once in display
values and once in linear light; the better fit stands. Where all solid colours
are alike, share and matte cannot be told apart, and a full share is assumed:
the repair is then the same.

References
----------
Porter and Duff (1984), *Compositing Digital Images*, for the model.
"""

from dataclasses import dataclass, replace

import cv2
import numpy as np
from numpy.typing import NDArray

from mivex.core.findings.base import Check, Finding, Repair, Subject
from mivex.core.image.colour import hex_of, to_display, to_linear
from mivex.core.image.nearest import nearest
from mivex.core.image.texture import Texture
from mivex.core.prepare.base import Space
from mivex.core.prepare.mattes import colour_under
from mivex.core.prepare.unmatte import Unmatte
from mivex.core.types import Floats

LIMIT = 3.0
"""A 95th percentile of the error on screen above this is a finding (of 255)."""
LEAST_SHARE = 0.2
SHARE_SLACK = 0.03
LEAST_EXPLAINED = 0.6
MOST_IMPOSSIBLE = 0.13
OUTLINE = 3.0
"""Soft texels this near to clear ones, in texels, are the outline."""
_SAMPLE = 40_000


@dataclass(frozen=True)
class MatteFit:
    """The matte that explains how soft texels depart from the solid colour.

    Attributes
    ----------
    matte : (r, g, b)
        Display values.
    share : float
        How much of it is there, 0 to 1.
    explained : float
        Part of the departure that the model explains, up to 1.
    plain : float
        Part that a departure independent of alpha would explain.
    space : str
        In which values the blend was once made.
    error : float
        95th percentile of what it changes on screen, over black, mid grey and white, 0 to 255.
    outline : float
        Part explained where the shape meets clear texels; equal to `explained` where there are none.
        Shaded shapes, say bright glass round a dull middle, fit inside but not here.
    impossible : float
        Share of soft texels whose recovered colour would lie outside [0, 1]: no real paint can have been
        there, so the lean is the shape's own shading.
    """

    matte: tuple[float, float, float]
    share: float
    explained: float
    plain: float
    space: Space
    error: float
    outline: float
    impossible: float

    @property
    def reported(self) -> bool:
        """It is large, it is one matte, and it follows alpha."""
        return (self.error > LIMIT and self.share >= LEAST_SHARE and self.explained >= LEAST_EXPLAINED
                and self.outline >= LEAST_EXPLAINED and self.impossible <= MOST_IMPOSSIBLE
                and (1 - self.explained) < 0.7 * (1 - self.plain))


def _solve(x: NDArray, F: NDArray, d: NDArray, w: NDArray) -> tuple[NDArray, float, float]:
    """Least squares for ``d = x·(q − s·F)`` with ``0 ≤ s ≤ 1``; returns q, s and the part explained."""
    wx2 = w * x * x
    total = wx2.sum()
    Fm = (wx2[:, None] * F).sum(0) / total
    dm = ((w * x)[:, None] * d).sum(0) / total
    spread = (wx2[:, None] * (F - Fm) ** 2).sum()
    lean = ((w * x)[:, None] * (F - Fm) * d).sum()
    # A faint pull towards a full share decides where all solid colours are alike.
    faint = total * 3 * 0.004 ** 2
    free = float(np.clip((faint - lean) / (spread + faint), 0, 1))
    whole = max((w[:, None] * d * d).sum(), 1e-12)

    def with_share(s: float) -> tuple[NDArray, float, float]:
        q = dm + s * Fm
        if s > 1e-3:
            q = np.clip(q / s, 0, 1) * s
        return q, s, float(1 - (w[:, None] * (d - x[:, None] * (q - s * F)) ** 2).sum() / whole)

    # Colour that varies between a soft texel and its solid neighbour draws the share down;
    # a full one, the usual case, stands where it explains as much.
    best, full = with_share(free), with_share(1.0)
    return full if full[2] >= best[2] - SHARE_SLACK else best


def fit_matte(texture: Texture) -> MatteFit | None:
    """Look for a matte left in soft texels.

    Parameters
    ----------
    texture : Texture

    Returns
    -------
    MatteFit, or None where there are too few soft or solid texels to tell.
    """
    rgb, alpha = texture.values[..., :3], texture.alpha
    top = float(alpha.max())
    solid = alpha >= min(0.98, 0.9 * top)
    soft = np.flatnonzero((alpha > 0.02) & (alpha < 0.96) & ~solid)
    if soft.size < 24 or not solid.any():
        return None
    index, distance = nearest(solid)
    if soft.size > _SAMPLE:
        soft = np.sort(np.random.default_rng(7).choice(soft, _SAMPLE, replace=False))
    near = index.reshape(-1)[soft]
    a = alpha.reshape(-1)[soft].astype(np.float64)
    clear = alpha <= 0.02
    rim = np.zeros(len(soft), bool)
    if clear.any():
        rim = cv2.distanceTransform((~clear).astype(np.uint8), cv2.DIST_L2, 3).reshape(-1)[soft] <= OUTLINE
    w = a / (1 + distance.reshape(-1)[soft] / max(alpha.shape))
    spaces: tuple[Space, ...] = ("display", "linear") if texture.meaning == "colour" else ("display",)
    best: MatteFit | None = None
    for space in spaces:
        C = to_linear(rgb) if space == "linear" else rgb
        fit = _fit_in(C, alpha, solid, soft, near, a, w, rim, space, texture.meaning == "data")
        if best is None or fit.explained - fit.impossible > best.explained - best.impossible + 0.002:
            best = fit
    return best


def _fit_in(C: Floats, alpha: Floats, solid: NDArray, soft: NDArray, near: NDArray, a: NDArray, w: NDArray,
            rim: NDArray, space: Space, data: bool) -> MatteFit:
    flat = C.reshape(-1, 3).astype(np.float64)
    # Solid colour is smoothed over its own kind, so that its grain does not pass for a lean.
    weight = solid.astype(np.float32)
    sums = cv2.GaussianBlur(np.dstack([C * weight[..., None], alpha * weight, weight]), (0, 0), 2.0)
    smooth = (sums[..., :4] / np.maximum(sums[..., 4:], np.float32(1e-6))).reshape(-1, 4)[near].astype(np.float64)
    Cj, aj = smooth[:, :3], smooth[:, 3]
    Ci = flat[soft]
    x = 1 - a
    q, s, F = np.zeros(3), 0.0, Cj
    explained = 0.0
    for _ in range(4):
        # What counts as solid may itself be a little clear: take the matte out of it too.
        q, s, explained = _solve(x, F, Ci - F, w)
        keep = np.maximum(1 - s * (1 - aj), 0.05)[:, None]
        F = np.clip((Cj - (1 - aj)[:, None] * q) / keep, 0, 1)
    plain = _solve(np.ones_like(x), F, Ci - F, w)[2]
    outline = explained
    if rim.sum() >= 16:
        d, k = (Ci - F)[rim], w[rim][:, None]
        left = (k * (d - x[rim][:, None] * (q - s * F[rim])) ** 2).sum()
        outline = float(1 - left / max((k * d * d).sum(), 1e-12))
    B = np.clip(q / s, 0, 1) if s > 1e-3 else np.zeros(3)
    matte = B.astype(np.float32)
    kept = (1 - s * x)[:, None]
    free = B + (Ci - B) / np.maximum(kept, 1e-3)
    slack = 1 / 255 / np.maximum(kept, 1e-3) + 0.03
    impossible = float(((free < -slack) | (free > 1 + slack)).any(axis=1).mean())
    fixed = colour_under(Ci[None].astype(np.float32), matte, a[None].astype(np.float32), s)[0]
    if space == "linear" and not data:
        matte = to_display(matte)
    error = float(np.percentile(_on_screen(Ci.astype(np.float32), fixed, a.astype(np.float32),
                                           space == "display" and not data, data), 95))
    r, g, b = (round(float(v), 3) for v in matte)
    return MatteFit((r, g, b), round(s, 3), explained, plain, space, error, outline, impossible)


def _on_screen(before: Floats, after: Floats, a: Floats, decode: bool, data: bool) -> Floats:
    if decode:
        before, after = to_linear(before), to_linear(after)
    worst = np.zeros(len(a), np.float32)
    for back in (0.0, 0.5, 1.0):
        level = np.full(1, back, np.float32)
        behind = (1 - a[:, None]) * (level if data else to_linear(level))
        seen = [np.clip(k * a[:, None] + behind, 0, 1) for k in (before, after)]
        if not data:
            seen = [to_display(k) for k in seen]
        worst = np.maximum(worst, np.abs(seen[0] - seen[1]).max(axis=1))
    return worst * 255


def _measure(subject: Subject) -> list[Finding]:
    t = subject.texture
    if not subject.uses_alpha or subject.flat_alpha or t.premultiplied or t.spread > 0 or t.meaning == "data":
        return []
    fit = fit_matte(t)
    if fit is None or not fit.reported:
        return []
    light = 0.2126 * fit.matte[0] + 0.7152 * fit.matte[1] + 0.0722 * fit.matte[2]
    if subject.material and subject.material.blend == "Additive" and light > 0.1:
        # A glow whose halo has another colour than its core is how light looks, not a backdrop.
        return []
    if fit.share > 0.97:
        fit = replace(fit, share=1.0)
    soft = (t.alpha > 0.02) & (t.alpha < 0.96)
    rows, cols = np.flatnonzero(soft.any(axis=1)), np.flatnonzero(soft.any(axis=0))
    place = (int(cols[0]), int(rows[0]), int(cols[-1] - cols[0] + 1), int(rows[-1] - rows[0] + 1))
    tone = "dark" if light < 0.25 else "bright" if light > 0.75 else "coloured"
    return [Finding(
        "matte", subject.name, fit.error, "of 255",
        f"Soft parts still hold {fit.share:.0%} of a {tone} backdrop, {hex_of(fit.matte)}; on screen it shows "
        f"by up to {fit.error:.0f} of 255.",
        f"The picture was cut from a backdrop without taking its colour out: a {tone} rim on anything of "
        "another colour, even unfiltered.",
        place,
        Repair("Remove the matte", (Unmatte(matte=fit.matte, share=fit.share, space=fit.space),)),
        {"matte": list(fit.matte), "share": fit.share, "error": fit.error, "space": fit.space,
         "explained": fit.explained, "limit": LIMIT})]


CHECKS = (Check("matte", "Matte left in soft parts", _measure),)

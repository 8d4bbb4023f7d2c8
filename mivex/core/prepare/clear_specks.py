"""Step ``clear-specks``: make faint texels clear that stand far from anything, and nothing else."""

from typing import Literal

import numpy as np

from mivex.core.base.lazy import Lazy
from mivex.core.base.settings import setting
from mivex.core.base.types import Floats, Mask
from mivex.core.prepare.base import Context, Step, StepParams, Surface

cv2 = Lazy("cv2")

FAINT = 0.1
FAR = 4
LARGEST = 4
"""Texels that touch one another, up to so many, are still a speck."""


class ClearSpecks(StepParams):
    """Settings of ``clear-specks``."""

    step: Literal["clear-specks"] = "clear-specks"
    faint: float = setting(
        FAINT, "Up to alpha", "Only texels with at most this alpha are cleared.", ge=0.001, le=1, drag=(0.01, 0.5)
    )
    far: int = setting(
        FAR,
        "Far from the shape",
        "A speck has nothing but other specks within so many texels.",
        unit="px",
        ge=1,
        le=256,
        drag=(1, 32),
    )


def lone_specks(alpha: Floats, faint: float = FAINT, far: int = FAR) -> Mask:
    """Texels of specks: at most `LARGEST` touching texels, faint, and nothing else within ``far`` texels.

    Veils are not specks: where a quarter of the texels round it are seen as well, it belongs to something.

    Parameters
    ----------
    alpha : float32 array (height, width)
    faint : float
        Largest alpha of a speck.
    far : int
        Texels.
    """
    seen = alpha > 0
    thin = seen & (alpha <= np.float32(faint))
    none = np.zeros(alpha.shape, bool)
    if not thin.any():
        return none
    _, label, stats, _ = cv2.connectedComponentsWithStats(seen.astype(np.uint8), connectivity=8, ltype=cv2.CV_32S)
    small = stats[:, cv2.CC_STAT_AREA] <= LARGEST
    small[0] = False
    alone = thin & small[label]
    if not alone.any():
        return none
    side = 2 * far + 1
    near = cv2.dilate((seen & ~alone).astype(np.uint8), np.ones((side, side), np.uint8)) > 0
    alone &= ~near
    crowd = cv2.boxFilter(seen.astype(np.float32), -1, (7, 7), normalize=True, borderType=cv2.BORDER_CONSTANT)
    return np.asarray(alone & (crowd < np.float32(0.25)))


def run(surface: Surface, params: ClearSpecks, context: Context) -> Surface:
    """Alpha 0 in the texels of specks; every other texel stays as it is."""
    mask = lone_specks(surface.alpha, params.faint, max(1, round(params.far * surface.scale)))
    return surface.with_alpha(np.where(mask, np.float32(0), surface.alpha)) if mask.any() else surface


STEP = Step(
    ClearSpecks,
    run,
    "Clear lone specks",
    "Takes away faint texels that stand far from anything; the shape itself stays.",
    "alpha",
)

"""Step ``drop-loose``: take away islands of a cutout that hang on nothing, and nothing else."""

from dataclasses import dataclass
from typing import Literal

import numpy as np

from mivex.core.base.lazy import Lazy
from mivex.core.base.settings import setting
from mivex.core.base.types import Floats, Mask
from mivex.core.prepare.base import Context, Step, StepParams, Surface

cv2 = Lazy("cv2")


class DropLoose(StepParams):
    """Settings of ``drop-loose``."""

    step: Literal["drop-loose"] = "drop-loose"
    cutoff: float = setting(0.5, "Cutoff", "What reaches this alpha is a piece.", ge=0.001, le=1)
    share: float = setting(
        0.05, "Up to size", "Pieces up to this share of the largest are taken away.", ge=0, le=1, drag=(0, 0.5)
    )
    repeats: bool = setting(False, "Repeats", "The picture repeats: pieces go on at the other side.")


@dataclass(frozen=True, eq=False)
class Pieces:
    """Pieces of a cutout.

    Attributes
    ----------
    label : int32 array (height, width)
        Number of the piece at each texel; 0: clear.
    size : int array
        Texels of each piece; that of number 0 is 0.
    """

    label: "np.ndarray"
    size: "np.ndarray"

    @property
    def largest(self) -> int:
        """Number of the largest piece."""
        return int(self.size.argmax())


def pieces_of(alpha: Floats, cutoff: float, *, repeats: bool = False) -> Pieces:
    """Pieces that hang together, also by a corner; across the sides of a picture that repeats.

    Parameters
    ----------
    alpha : float32 array (height, width)
    cutoff : float
    repeats : bool
    """
    solid = (alpha >= np.float32(cutoff)).astype(np.uint8)
    n, label = cv2.connectedComponents(solid, connectivity=8, ltype=cv2.CV_32S)
    label = np.asarray(label, np.int32)
    if repeats and n > 1:
        from scipy.sparse import coo_matrix
        from scipy.sparse.csgraph import connected_components

        a = [np.concatenate([label[0], label[:, 0]]), np.concatenate([label[-1], label[:, -1]])]
        both = (a[0] > 0) & (a[1] > 0)
        joined = coo_matrix((np.ones(int(both.sum())), (a[0][both], a[1][both])), shape=(n, n))
        new = connected_components(joined, directed=False)[1] + 1
        new[0] = 0
        label = new.astype(np.int32)[label]
    size = np.bincount(label.reshape(-1))
    size[0] = 0
    return Pieces(label, size)


def loose_mask(alpha: Floats, cutoff: float, share: float, *, repeats: bool = False) -> Mask:
    """Texels of pieces that are at most ``share`` of the largest, with the soft rim that belongs to them alone."""
    p = pieces_of(alpha, cutoff, repeats=repeats)
    if len(p.size) < 3:
        return np.zeros(alpha.shape, bool)
    loose = (p.size > 0) & (p.size <= share * p.size[p.largest])
    loose[p.largest] = False
    if not loose.any():
        return np.zeros(alpha.shape, bool)
    # What is seen but lies below the cutoff goes with the pieces that it touches, if it touches no other.
    seen = (alpha > 0).astype(np.uint8)
    _, groups = cv2.connectedComponents(seen, connectivity=8, ltype=cv2.CV_32S)
    held = np.zeros(int(groups.max()) + 1, bool)
    held[groups[(p.label > 0) & ~loose[p.label]]] = True
    out = loose[p.label]
    alone = np.zeros_like(held)
    alone[groups[out]] = True
    return np.asarray(out | ((alone & ~held)[groups] & (groups > 0)))


def run(surface: Surface, params: DropLoose, context: Context) -> Surface:
    """Alpha 0 in loose pieces; every other texel stays as it is."""
    mask = loose_mask(surface.alpha, params.cutoff, params.share, repeats=params.repeats)
    return surface.with_alpha(np.where(mask, np.float32(0), surface.alpha)) if mask.any() else surface


STEP = Step(
    DropLoose, run, "Drop loose pieces", "Takes away islands of a cutout that hang on nothing; the rest stays.", "alpha"
)

"""Finding the test card in a picture, and what is seen at a place of it."""

from dataclasses import dataclass
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Doubles, Floats
from mivex.core.card.layout import MARKER, MARKERS
from mivex.core.picture.files import read_picture
from mivex.core.pixels.colour import to_display

cv2 = Lazy("cv2")
_GRID = 12
"""Points a side at which a place is looked at."""
_SMALL = 700
"""Pictures of a shorter side below this are enlarged for the search: markers must be some forty pixels wide."""


@dataclass(frozen=True, eq=False)
class Found:
    """A card in a picture.

    Attributes
    ----------
    picture : float32 array (height, width, 3)
        Display values.
    matrix : float64 array (3, 3)
        From metres on the card to pixels, both right and down.
    markers : int
        How many of the markers were seen.
    mirrored : bool
        The picture shows the card from behind, or was turned over.
    """

    picture: Floats
    matrix: Doubles
    markers: int
    mirrored: bool = False

    @property
    def pixels_per_metre(self) -> float:
        """Scale at the middle of the card."""
        # A tenth of a metre at the middle: at a slant the scale changes over the card, and most questions lie there.
        a, b = self._at(np.array([[0.75, 0.5], [0.85, 0.5]]))
        return float(np.hypot(*(b - a)) / 0.1)

    def _at(self, points: Doubles) -> Doubles:
        p = np.concatenate([points, np.ones((len(points), 1))], axis=1) @ self.matrix.T
        return p[:, :2] / p[:, 2:]

    def seen(self, spot: tuple[float, float, float, float]) -> NDArray[np.float64] | None:
        """Mean colour of a spot (middle, half its size, metres), display values (3,); None where it is cut off."""
        x, y, dx, dy = spot
        t = np.linspace(-1, 1, _GRID)
        u, v = np.meshgrid(x + t * dx, y + t * dy)
        at = self._at(np.stack([u.ravel(), v.ravel()], axis=1)).astype(np.float32)
        h, w = self.picture.shape[:2]
        # One point outside is enough: a mean of what is left would be of another place of the patch.
        if not np.isfinite(at).all() or (at < 0).any() or (at[:, 0] > w - 1).any() or (at[:, 1] > h - 1).any():
            return None
        values = cv2.remap(self.picture, at[None, :, 0], at[None, :, 1], cv2.INTER_LINEAR)
        return np.asarray(values.reshape(-1, 3).astype(np.float64).mean(axis=0))


def _markers(grey: NDArray[np.uint8]) -> dict[int, Doubles]:
    """Corners (4, 2) of every marker that is seen, by its number, clockwise from its own top left."""
    p = cv2.aruco.DetectorParameters()
    p.cornerRefinementMethod = cv2.aruco.CORNER_REFINE_SUBPIX
    # Enlarged by whole numbers, so that a pixel's middle stays at a half.
    scale = max(1, -(-_SMALL // min(grey.shape)))
    big = cv2.resize(grey, None, fx=scale, fy=scale, interpolation=cv2.INTER_CUBIC) if scale > 1 else grey
    words = cv2.aruco.getPredefinedDictionary(cv2.aruco.DICT_4X4_50)
    corners, ids, _ = cv2.aruco.ArucoDetector(words, p).detectMarkers(big)
    if ids is None:
        return {}
    found = {}
    for number, c in zip(ids.ravel().tolist(), corners, strict=True):
        if number in MARKERS:
            # A pixel's middle is at half, in the enlarged picture as in this one.
            found[number] = (c.reshape(4, 2).astype(np.float64) + 0.5) / scale - 0.5
    return found


def _on_card(number: int) -> Doubles:
    """Corners of a marker's black square on the card, metres."""
    x, y = MARKERS[number]
    a, b = MARKER / 8, MARKER * 7 / 8
    return np.array([[x + a, y + a], [x + b, y + a], [x + b, y + b], [x + a, y + b]])


def read_card(path: str | Path) -> Found:
    """Find the card in a picture file; raises MivexError as `find_card`, or where the file cannot be read."""
    picture = read_picture(path)
    rgb = np.ascontiguousarray(picture.values[..., :3])
    return find_card(to_display(np.clip(rgb, 0, 1)) if picture.linear else rgb)


def find_card(picture: Floats) -> Found:
    """Find the card, however it is turned, seen at a slant, cut or scaled.

    Parameters
    ----------
    picture : float array (height, width, 3)
        Display values.

    Raises
    ------
    MivexError
        No card is seen, or too little of it: at least two of its six markers are needed.
    """
    rgb = np.ascontiguousarray(np.clip(np.nan_to_num(picture[..., :3]), 0, 1), np.float32)
    # A picture turned round at a mirror still holds the card; its markers are only known the right way round.
    for mirrored in (False, True):
        this = np.ascontiguousarray(rgb[:, ::-1]) if mirrored else rgb
        codes = (this * 255 + 0.5).astype(np.uint8)
        found = _markers(cv2.cvtColor(codes, cv2.COLOR_RGB2GRAY))
        # Two markers are eight corners: enough for a homography, and for one wrong corner to be noticed.
        if len(found) >= 2:
            break
    else:
        raise MivexError(
            "No test card is seen in this picture: at least two of its six black and white markers must be whole, "
            "sharp, and not too small. “mivex card make DIR” writes one."
        )
    card = np.concatenate([_on_card(n) for n in found])
    seen = np.concatenate(list(found.values()))
    # With two markers every corner is needed; from three on those that do not fit are left out.
    matrix, _ = cv2.findHomography(card, seen, cv2.RANSAC if len(found) > 2 else 0, 3.0)
    if matrix is None or not np.isfinite(matrix).all():
        raise MivexError("The test card is seen at too steep a slant to be read; look at it from the front.")
    return Found(this, matrix, len(found), mirrored)

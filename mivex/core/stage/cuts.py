"""Flat panels that are cut by straight lines, so that their parts can be ordered apart.

A cut keeps what lies on one side of a line in the panel's own plane. Two placements with opposite cuts along one line
are a panel split in two: what shows is the same, and each part has a distance of its own.
"""

import math

import numpy as np

from mivex.core.base.settings import new_id
from mivex.core.base.types import Doubles
from mivex.core.stage.placements_model import Cut, PanelPlace, Pivot

LEAST = 0.01
"""Share of a panel below which a part is not worth a placement of its own."""
WHOLE = np.array([(0.0, 0.0), (1.0, 0.0), (1.0, 1.0), (0.0, 1.0)])
"""A panel's corners as shares of its width and height from the top left, clockwise."""


def clipped(corners: Doubles, place: PanelPlace, pivot: Pivot) -> Doubles:
    """What a panel's cuts leave of a convex polygon.

    Sutherland and Hodgman, Reentrant polygon clipping, Communications of the ACM 17 (1974).

    Parameters
    ----------
    corners : float64 array (n, 2)
        As shares of the panel from its top left, clockwise.
    place : PanelPlace
    pivot : (x, y)
        The point of the picture at which it is held, as shares: cuts are measured from there, in metres.

    Returns
    -------
    float64 array (m, 2)
        Fewer than three corners: nothing is left.
    """
    for cut in place.cuts:
        turn = math.radians(cut.angle)
        x, y = (corners[:, 0] - pivot[0]) * place.width, (pivot[1] - corners[:, 1]) * place.height
        over = x * math.cos(turn) + y * math.sin(turn) - cut.at
        kept = []
        for i in range(len(corners)):
            j = (i + 1) % len(corners)
            if over[i] >= 0:
                kept.append(corners[i])
            if (over[i] >= 0) != (over[j] >= 0):
                kept.append(corners[i] + (corners[j] - corners[i]) * (over[i] / (over[i] - over[j])))
        corners = np.array(kept).reshape(-1, 2)
    return corners


def area(corners: Doubles) -> float:
    """Area of a convex polygon that runs clockwise in coordinates whose second axis points downwards."""
    x, y = corners.T if len(corners) > 2 else np.zeros((2, 3))
    return float(x @ np.roll(y, -1) - y @ np.roll(x, -1)) / 2


def centroid(corners: Doubles) -> Doubles:
    """Centre of area of a convex polygon (2,)."""
    x, y = corners.T
    nx, ny = np.roll(x, -1), np.roll(y, -1)
    cross = x * ny - nx * y
    total = float(cross.sum())
    if abs(total) < 1e-12:
        return np.asarray(corners.mean(axis=0))
    return np.array([((x + nx) * cross).sum(), ((y + ny) * cross).sum()]) / (3 * total)


def split(place: PanelPlace, cut: Cut, pivot: Pivot) -> tuple[PanelPlace, PanelPlace] | None:
    """A panel as two, on either side of a line; None where the line leaves less than a hundredth on one side."""
    ahead = place.model_copy(update={"cuts": (*place.cuts, cut)})
    other = Cut(angle=cut.angle - 180 if cut.angle > 0 else cut.angle + 180, at=-cut.at or 0.0)
    behind = place.model_copy(update={"cuts": (*place.cuts, other), "id": new_id()})
    shares = [area(clipped(WHOLE, p, pivot)) for p in (place, ahead, behind)]
    return (ahead, behind) if min(shares[1:]) >= LEAST * shares[0] else None


def line_of(at: Doubles, right: Doubles, up: Doubles, point: Doubles, normal: Doubles) -> Cut | None:
    """Where another plane cuts a panel.

    Parameters
    ----------
    at : float64 array (3,)
        Where the panel is held.
    right, up : float64 arrays (3,)
        Unit vectors along it.
    point, normal : float64 arrays (3,)
        A point of the other plane, and its normal.

    Returns
    -------
    Cut or None
        None where the planes are parallel within half a degree.
    """
    across, along = float(normal @ right), float(normal @ up)
    size = math.hypot(across, along)
    if size < 0.009 * float(np.linalg.norm(normal)):
        return None
    return Cut(angle=math.degrees(math.atan2(along, across)), at=float(normal @ (point - at)) / size)

"""Where a new overlay stands: where the camera looks, in front of what is there, over an edge of bright and dark."""

from collections.abc import Iterator, Sequence

import numpy as np

from mivex.core.base.types import Floats
from mivex.core.stage import placement_geometry as placing
from mivex.core.stage.camera import View
from mivex.core.stage.placements_model import BillboardPlace, HullPlace, PanelPlace, Place
from mivex.core.stage.surroundings import World

ACROSS, DOWN = (0.5, 0.34, 0.66, 0.22, 0.78), (0.5, 0.36, 0.64, 0.24)
"""Places of the picture that are looked at, as shares, the middle first."""
MARGIN = 0.12
"""Metres that are kept between a new overlay and what lies behind it."""
NEAREST = 0.6
"""Metres before the eye that are left free."""


def seen_spots(view: View, picture: Floats | None, taken: Sequence[tuple[float, float]]) -> list[tuple[float, float]]:
    """Places of the picture, the best for something see-through first.

    Parameters
    ----------
    view : View
    picture : float array (h, w) or (h, w, 3), optional
        What is shown now, in any scale and size; without it the middle comes first.
    taken : sequence of (x, y)
        Pixels where other placements stand; the farther from them the better.

    Returns
    -------
    list of (x, y) in pixels of the view.
    """
    rows = []
    for order, (v, u) in enumerate((v, u) for v in DOWN for u in ACROSS):
        x, y = u * view.width, v * view.height
        contrast = 0.0
        if picture is not None:
            h, w = picture.shape[:2]
            r = max(min(h, w) // 8, 1)
            cy, cx = round(v * (h - 1)), round(u * (w - 1))
            patch = picture[max(cy - r, 0) : cy + r + 1, max(cx - r, 0) : cx + r + 1]
            grey = patch if patch.ndim == 2 else patch @ np.array([0.2126, 0.7152, 0.0722])
            # What is bright within the patch against what is dark: an edge, not grain.
            contrast = float(np.percentile(grey, 85) - np.percentile(grey, 15)) / max(float(picture.max()), 1e-6)
        near = min((np.hypot(x - a, y - b) for a, b in taken), default=1e9) / min(view.width, view.height)
        rows.append((contrast - 0.6 * max(0.25 - near, 0.0) / 0.25 - 0.01 * order, (x, y)))
    return [spot for _, spot in sorted(rows, key=lambda r: -r[0])]


def stood(place: Place, view: View, world: World, spots: Sequence[tuple[float, float]]) -> tuple[Place, int]:
    """A placement put where it is seen: the first of some places of the picture that it fits at.

    Panels and billboards turn to the camera and come before whatever is solid there; decals slide over the hull. What
    finds no place stays where it is.

    Returns
    -------
    place : Place
    number : int
        Which of the spots it took; −1: none.
    """
    for number, spot in enumerate(spots):
        if isinstance(place, HullPlace):
            if placing.on_hull(view, spot) is None or not _first(view, world, spot, place):
                continue
            at = view.on_screen(placing.centre(place, view)[None])[0]
            return place.model_copy(update=placing.moved(place, view, (float(at[0]), float(at[1])), spot)), number
        if not isinstance(place, PanelPlace | BillboardPlace):
            return place, -1
        reach = 0.5 * max(place.width, place.height)
        free = min(_ahead(view, world, spot, reach), default=view.camera.distance + MARGIN)
        far = min(view.camera.distance, free - MARGIN)
        if far < max(NEAREST, reach):
            continue
        p = view.eye + view.ray(*spot) * far
        values: dict[str, object] = {"at": tuple(round(float(v), 4) for v in np.clip(p, -20, 20))}
        if isinstance(place, PanelPlace):
            values["yaw"] = round(view.camera.yaw, 2)
        return place.model_copy(update=values), number
    return place, -1


def _first(view: View, world: World, spot: tuple[float, float], place: HullPlace) -> bool:
    """Whether the hull is what is seen there, not something before it."""
    found = world.surroundings.meet(view.eye, view.ray(*spot))
    at = placing.on_hull(view, spot)
    if found is None or at is None:
        return False
    there = placing.centre(place.model_copy(update={"along": at[0], "around": at[1]}), view)
    return float(np.linalg.norm(found[1] - there)) < 0.25


def _ahead(view: View, world: World, spot: tuple[float, float], reach: float) -> Iterator[float]:
    """Distances along the middle ray at which something solid would cut into a disc of that radius, facing the eye."""
    middle = view.ray(*spot)
    for dx, dy in ((0, 0), (1, 0), (-1, 0), (0, 1), (0, -1)):
        aim = view.eye + middle * view.camera.distance + (view.axes[0] * dx + view.axes[1] * dy) * reach
        ray = aim - view.eye
        found = world.surroundings.meet(view.eye, ray / np.linalg.norm(ray))
        if found is not None:
            yield float((found[1] - view.eye) @ middle)

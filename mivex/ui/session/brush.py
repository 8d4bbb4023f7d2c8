"""What is painted with: kept by the session, not by the document; strokes carry what they were painted with."""

from dataclasses import dataclass, field
from typing import Any, NamedTuple

from mivex.core.layers.channels import COLOURED, TABLE
from mivex.core.layers.strokes import PaintStroke, Point, SurfacePoint, Tip
from mivex.core.scene.picking import MeshSpot

DOES = {"paint": "Paint a value", "clear": "Clear paint", "soften": "Soften", "smudge": "Draw out"}
HINTS = {
    "paint": "Paints values: opacity 0 makes a hole, whatever lies below.",
    "clear": "Clears paint: what lies below comes back. It makes no hole.",
    "soften": "Softens what is painted on this layer.",
    "smudge": "Draws out what is painted on this layer, as with a finger.",
}
MEASURES = {"metres": "Metres", "screen": "Pixels on the screen"}
STAYS = {"anywhere": "Anywhere", "island": "In the island where it begins", "region": "In the chosen faces"}


class Spot(NamedTuple):
    """A place that a stroke goes through.

    Attributes
    ----------
    x, y : float
        In the picture, as shares.
    on : MeshSpot, optional
        On the mesh that carries it.
    """

    x: float
    y: float
    on: MeshSpot | None = None


@dataclass(frozen=True)
class Brush:
    """Settings of the next stroke.

    Attributes
    ----------
    does : str
        One of `DOES`.
    area : bool
        A drag encloses an area that is filled.
    through_points : bool
        Presses set points, and a smooth line goes through them.
    tip : Tip
    values : dict
        By channel; only these are painted.
    add : bool
        Light is added to colour, and nothing else changed.
    wrap, mirror : bool
    stay : str
        One of `STAYS`.
    front : bool
        On the stage, faces seen from behind are left alone.
    pressure : str
        ``pen``, ``speed`` (slower is harder) or ``full``; a pen counts where there is one, whatever stands here.
    on_surface : bool
        On the stage a mesh is painted along its surface, not in the picture of its UVs.
    measure : str
        One of `MEASURES`: what the tip's size is given in there, ``metres`` or ``pixels``.
    """

    does: str = "paint"
    area: bool = False
    through_points: bool = False
    tip: Tip = field(default_factory=Tip)
    values: dict[str, Any] = field(default_factory=lambda: {"opacity": 0.9, "colour": TABLE["colour"].ink})
    add: bool = False
    wrap: bool = False
    mirror: bool = False
    stay: str = "anywhere"
    front: bool = True
    pressure: str = "speed"
    on_surface: bool = True
    measure: str = "metres"
    metres: float = 0.08
    pixels: float = 40.0

    def stroke(
        self,
        points: tuple[Point, ...],
        seed: int,
        *,
        mask: bool,
        clearing: bool = False,
        faces: str = "",
        surface: tuple[SurfacePoint, ...] = (),
        across: float = 0.0,
    ) -> PaintStroke:
        """The stroke of these points, or of places on a mesh. ``mask``: into a mask, where there is one value only."""
        does = "clear" if clearing and self.does == "paint" else self.does
        values: dict[str, Any] = (
            {"mask": float(self.values.get("mask", 1.0))} if mask else {k: v for k, v in self.values.items() if k != "mask"}
        )
        if self.add and not mask:
            values = {k: v for k, v in values.items() if k in COLOURED}
        return PaintStroke(
            does=does,
            area=self.area,
            points=points,
            smooth=self.through_points and not surface,
            values=values if does == "paint" else {},  # type: ignore[arg-type]
            join="add" if self.add and not mask else "towards",
            tip=self.tip,
            seed=seed,
            wrap=self.wrap,
            mirror=self.mirror,
            faces=faces,
            surface=surface,
            across=across,
        )

"""One overlay drawn into a picture of everything else: only what its polygons can touch is drawn anew."""

from mivex.core.stage.buffers import Box, Buffers
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.lighting import casts, shadows_for
from mivex.core.stage.lights import Lighting
from mivex.core.stage.passes import RenderPlan, draw_all, run


def union(boxes: list[Box]) -> Box | None:
    """The box round some boxes; None of none."""
    if not boxes:
        return None
    tops, lows, lefts, rights = zip(*boxes, strict=True)
    return min(tops), max(lows), min(lefts), max(rights)


def render_into(
    bare: Buffers, draws: list[DrawCall], view: View, lighting: Lighting, owner: str
) -> tuple[Buffers, Box | None]:
    """Draw a scene that differs from a picture by one overlay.

    Parameters
    ----------
    bare : Buffers
        The picture without that overlay; left as it is.
    draws : list of DrawCall
        With it, in their order.
    view : View
    lighting : Lighting
    owner : str
        Id of the overlay.

    Returns
    -------
    (Buffers, Box or None)
        The picture, equal to `draw_all`'s, and where it may differ from ``bare``; None: nowhere.
    """
    mine = [d for d in draws if d.owner == owner]
    if any(casts(d) for d in mine):
        # Its shadow may fall anywhere.
        return draw_all(draws, view, lighting), (0, view.height, 0, view.width)
    shot = RenderPlan(draws, view)
    box = union(shot.boxes(draws, {id(d) for d in mine}))
    if box is None:
        return bare, None
    made = bare.copy()
    run(shot, made, lighting, shadows_for(draws, lighting, lit=shot.lit), box=box)
    return made, box

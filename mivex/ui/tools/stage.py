"""The mouse on the stage: look round, pan, and move, push, turn and scale placements."""

import math
from typing import Any

from PySide6.QtCore import QPointF, Qt

from mivex.core.base.messages import Message, term
from mivex.core.project import edits
from mivex.core.stage import placement_geometry as placing
from mivex.core.stage.camera import View, orbit, pan
from mivex.core.stage.placements_model import HullPlace, MeshPlace, Place, ProjectedPlace, ShapePlace, SurfacePlace
from mivex.ui.tools.base import Drag, Mouse, Tool, far

LEAST = 3.0
"""A press that moves less is a click."""


class Pan(Tool):
    """Shift-drag, or any other button: the picture follows the mouse."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        if press.button == Qt.MouseButton.LeftButton and not press.holds(Qt.KeyboardModifier.ShiftModifier):
            return None
        return self._drag(canvas, press)

    @staticmethod
    def _drag(canvas: Any, press: Mouse) -> Drag:
        # From the camera that stood at the press: moves do not add up their rounding.
        was = canvas.camera
        while True:
            now = yield
            d = now.at - press.at
            canvas.look(pan(was, View(was, canvas.width(), canvas.height()), d.x(), d.y()))


class Orbit(Tool):
    """A drag beside all placements: round the camera's target."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        return self._drag(canvas, press)

    @staticmethod
    def _drag(canvas: Any, press: Mouse) -> Drag:
        was, travelled = canvas.camera, False
        while True:
            now = yield
            d = now.at - press.at
            # Below a few pixels a press is a click on nothing, and leaves the camera as it is.
            travelled = travelled or far(now.at, press.at) >= LEAST
            if travelled:
                canvas.look(orbit(was, -d.x() * 0.4, d.y() * 0.3))


class Placement(Tool):
    """Takes the selected placement by a handle, or whatever is under the mouse."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        if canvas.at_work:
            return None  # painting and choosing faces move nothing and choose no other overlay
        grip = canvas.grip_at(press.at)
        if not grip:
            found = canvas.pick(press.at)
            if found is None:
                return None
            # Choosing comes before dragging, in one press: what is taken hold of is what is chosen.
            if found != (canvas.session.overlay_id, canvas.session.place_id):
                canvas.session.choose(*found)
            grip = "push" if press.holds(Qt.KeyboardModifier.ControlModifier) else "move"
        place = canvas.place
        return self._drag(canvas, press, grip, place) if place is not None else None

    def cursor(self, canvas: Any, at: QPointF) -> Qt.CursorShape | None:
        if canvas.at_work:
            return None
        return {"turn": Qt.CursorShape.CrossCursor, "scale": Qt.CursorShape.SizeFDiagCursor}.get(canvas.grip_at(at))

    @staticmethod
    def _drag(canvas: Any, press: Mouse, grip: str, place: Place) -> Drag:
        session, key, travelled = canvas.session, canvas.session.overlay_id, False
        try:
            while True:
                now = yield
                travelled = travelled or far(now.at, press.at) >= LEAST
                if travelled:
                    label, values = change_of(canvas, grip, place, press.at, now.at)
                    session.apply(
                        Message("{label} on the stage", label=term(label)),
                        # Edits of one drag are merged into one step back.
                        lambda d, v=values: edits.set_place(d, key, place.id, **v),
                        merge=f"drag {place.id} {grip}",
                    )
        finally:
            session.end_merge()


def change_of(canvas: Any, grip: str, was: Place, start: QPointF, at: QPointF) -> tuple[str, dict[str, object]]:
    """What dragging a placement by a grip changes of it, and the word for it."""
    view = canvas.view
    centre = view.on_screen(placing.centre(was, view)[None])[0]
    if grip == "push" and not isinstance(was, HullPlace | SurfacePlace | ProjectedPlace):
        return "Push", placing.pushed(was, view, start.y() - at.y())
    if grip in ("move", "push"):
        return "Move", placing.moved(was, view, (start.x(), start.y()), (at.x(), at.y()), canvas.world)
    if grip == "turn":
        seen = view.on_screen(canvas.outline_of(was))
        e1, e2 = seen[1] - seen[0], seen[3] - seen[0]
        # Seen from behind, a turn to the right is one to the left.
        way = -1 if e1[0] * e2[1] - e1[1] * e2[0] > 0 else 1
        a0, a1 = (math.atan2(p.y() - centre[1], p.x() - centre[0]) for p in (start, at))
        if isinstance(was, MeshPlace | ShapePlace):
            return "Turn", {"yaw": round((was.yaw - math.degrees(a1 - a0) + 180) % 360 - 180, 2)}
        return "Turn", {"roll": round((was.roll + way * math.degrees(a1 - a0) + 180) % 360 - 180, 2)}
    before = math.hypot(start.x() - centre[0], start.y() - centre[1])
    # At least a pixel: from the very middle every move would be without end.
    k = math.hypot(at.x() - centre[0], at.y() - centre[1]) / max(before, 1.0)
    return "Scale", {
        "width": round(min(max(was.width * k, 0.01), 50.0), 4),
        "height": round(min(max(was.height * k, 0.01), 50.0), 4),
    }

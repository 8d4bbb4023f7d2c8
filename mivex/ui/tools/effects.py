"""The mouse on the stage for effects: take one by its mark and move it, or fire it where a click meets something."""

from typing import Any

import numpy as np
from PySide6.QtCore import QPointF, Qt
from PySide6.QtGui import QColor, QPainter, QPen

from mivex.core.motion.emitter_shapes import axes_of
from mivex.core.motion.model import Effect
from mivex.core.project import edits
from mivex.core.stage import placement_geometry as placing
from mivex.ui import theme
from mivex.ui.tools.base import Drag, Mouse, Tool, far

AHEAD = 1.8
"""Metres in front of the camera at which a key fires an effect."""


def spot_of(canvas: Any, effect: Effect) -> QPointF | None:
    """Where an effect stands on the screen; None behind the camera."""
    x, y, z = canvas.view.on_screen(np.array(effect.at)[None])[0]
    return None if z < 0.05 else QPointF(float(x), float(y))


def fire_at(canvas: Any, at: QPointF) -> bool:
    """Fire the chosen effect where a place of the picture meets something, turned to its surface."""
    desk, view = canvas.desk, canvas.view
    found = canvas.session.doc.effect(desk.effect_id)
    if found is None:
        return False
    hit = canvas.world.surroundings.meet(view.eye, view.ray(at.x(), at.y()))
    if hit is None:
        return False
    _, place, normal = hit
    n = normal if normal @ (view.eye - place) > 0 else -normal
    yaw, pitch = placing.angles(n)
    x, y, z = (round(float(v), 4) for v in place + n * 0.01)
    desk.fire(found, (x, y, z), round(yaw, 2), round(pitch, 2))
    return True


def fire_ahead(canvas: Any) -> bool:
    """Fire the chosen effect before the camera."""
    found = canvas.session.doc.effect(canvas.desk.effect_id)
    if found is None:
        return False
    x, y, z = (round(float(v), 4) for v in canvas.view.eye + canvas.view.axes[2] * AHEAD)
    canvas.desk.fire(found, (x, y, z), found.yaw, found.pitch)
    return True


class Fire(Tool):
    """While firing is on, a click fires the chosen effect."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        if not canvas.desk.firing or press.button != Qt.MouseButton.LeftButton or not fire_at(canvas, press.at):
            return None
        return self._nothing()

    def cursor(self, canvas: Any, at: QPointF) -> Qt.CursorShape | None:
        return Qt.CursorShape.CrossCursor if canvas.desk.firing else None

    @staticmethod
    def _nothing() -> Drag:
        while True:
            yield


class MoveEffect(Tool):
    """Drags the mark of the chosen effect, in the plane that faces the camera."""

    def begin(self, canvas: Any, press: Mouse) -> Drag | None:
        found = canvas.session.doc.effect(canvas.desk.effect_id) if canvas.effects_marked else None
        spot = spot_of(canvas, found) if found is not None else None
        if found is None or spot is None or press.button != Qt.MouseButton.LeftButton or far(spot, press.at) > 18:
            return None
        return self._drag(canvas, press, found)

    def cursor(self, canvas: Any, at: QPointF) -> Qt.CursorShape | None:
        found = canvas.session.doc.effect(canvas.desk.effect_id) if canvas.effects_marked else None
        spot = spot_of(canvas, found) if found is not None else None
        return Qt.CursorShape.SizeAllCursor if spot is not None and far(spot, at) <= 18 else None

    @staticmethod
    def _drag(canvas: Any, press: Mouse, effect: Effect) -> Drag:
        session, view, was = canvas.session, canvas.view, np.array(effect.at)
        try:
            while True:
                now = yield
                d = now.at - press.at
                to = was + (view.axes[0] * d.x() - view.axes[1] * d.y()) * view.metres_per_pixel(was)
                at = tuple(round(float(v), 4) for v in np.clip(to, -100, 100))
                session.apply(
                    "Move an effect", lambda doc, a=at: edits.set_effect(doc, effect.id, at=a), merge=f"drag {effect.id}"
                )
        finally:
            session.end_merge()


def paint_mark(p: QPainter, canvas: Any) -> None:
    """Mark the chosen effect: a cross where it stands, and its axis."""
    found = canvas.session.doc.effect(canvas.desk.effect_id)
    spot = spot_of(canvas, found) if found is not None else None
    if found is None or spot is None:
        return
    tip = np.array(found.at) + axes_of(found).turn[:, 1] * 0.35 * found.scale
    x, y, z = canvas.view.on_screen(tip[None])[0]
    p.setRenderHint(QPainter.RenderHint.Antialiasing)
    for colour, width in ((theme.CASING, 3.6), (theme.CHOSEN, 1.5)):
        p.setPen(QPen(QColor(colour), width))
        p.drawLine(spot - QPointF(8, 0), spot + QPointF(8, 0))
        p.drawLine(spot - QPointF(0, 8), spot + QPointF(0, 8))
        if z > 0.05:
            p.drawLine(spot, QPointF(float(x), float(y)))
    p.setBrush(QColor(theme.CHOSEN))
    p.setPen(QPen(QColor(theme.CASING), 1))
    p.drawEllipse(spot, 4, 4)

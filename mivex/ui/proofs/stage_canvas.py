"""The stage as it is drawn in the window: camera, picking, handles, painting."""

import math
from collections.abc import Callable
from dataclasses import replace
from typing import Any

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt, QTimer, Signal
from PySide6.QtGui import QColor, QImage, QMouseEvent, QPainter, QPen, QPolygonF, QWheelEvent

from mivex.core.base.types import Doubles
from mivex.core.project.document import Overlay
from mivex.core.scene.picking import pick
from mivex.core.scene.snapshot import SceneSnapshot
from mivex.core.scene.stage_painter import StagePainter
from mivex.core.stage import placement_geometry as placing
from mivex.core.stage.camera import CAMERAS, Camera, View, zoom
from mivex.core.stage.looks import Look, look_at
from mivex.core.stage.placements_model import Place
from mivex.core.stage.standing import seen_spots, stood
from mivex.core.stage.surroundings import World
from mivex.ui import theme
from mivex.ui.proofs.canvas import PaintableCanvas
from mivex.ui.proofs.scale import draw_scale
from mivex.ui.session.brush import Spot
from mivex.ui.session.desk import PlaybackController
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session
from mivex.ui.tools.base import ToolDispatcher, far
from mivex.ui.tools.effects import Fire, MoveEffect, paint_mark
from mivex.ui.tools.paint import FaceClick, LayerBrush
from mivex.ui.tools.stage import Orbit, Pan, Placement

KNOB = 26.0
"""Distance of the turning knob from the outline, pixels."""


class StageCanvas(PaintableCanvas):
    """The picture of the stage and its handles."""

    moved = Signal()
    pointed = Signal(float, float)
    """The pointer rests on a pixel, and no drag is under way."""

    def __init__(self, session: Session, engine: Engine, desk: PlaybackController) -> None:
        super().__init__("Stage", session.workers)
        self.desk = desk
        self.effects_marked = False
        self.pinned: tuple[float, float] | None = None
        """The pixel whose account is pinned, as shares of the picture."""
        self.seen_as = "colour"
        self.found: Look | None = None
        self.lit = ""
        """The overlay that a line of the ledger points at."""
        self.session, self.engine = session, engine
        self.camera: Camera = CAMERAS[0]
        self.painter = StagePainter()
        self._pointer = QPointF(-99, -99)
        # The order is the order of asking: painting before moving, moving before looking round.
        self.hand = ToolDispatcher(self, (Pan(), FaceClick(), LayerBrush(), Fire(), MoveEffect(), Placement(), Orbit()))
        self._shown: object = None
        self.marked: tuple[float, float] | None = None
        # While the camera moves the picture may be coarse; it is drawn sharp as soon as it rests.
        self._rest = QTimer(self, singleShot=True, interval=140)
        self._rest.timeout.connect(self.redraw)
        session.changed.connect(self.redraw)
        desk.ticked.connect(self.redraw)
        desk.told.connect(self._rested)
        session.chosen.connect(self.update)
        # The flat proof comes first: it gets both cores for the moment that it needs.
        self._soon = QTimer(self, singleShot=True, interval=30)
        self._soon.timeout.connect(self.redraw)
        engine.prepared.connect(lambda _k: self._soon.start())

    def _rested(self) -> None:
        """The clock runs or rests: at rest the picture is drawn sharp."""
        if not self.desk.playing:
            self._shown = None
            self.redraw()
        self.update()

    @property
    def view(self) -> View:
        """The camera for the widget's present size, at the clock's time."""
        return View(self.camera, max(1, self.width()), max(1, self.height()), self.desk.time)

    @property
    def moving(self) -> bool:
        """What is shown may be coarse, or about to be drawn again."""
        return self._rest.isActive() or self._soon.isActive()

    def look(self, camera: Camera) -> None:
        """Look through another camera."""
        self.camera = camera
        self.moved.emit()
        self._rest.start()
        self.redraw()

    def stander(self) -> Callable[[Place], Place]:
        """Puts one new placement after another where it is seen from here, each at another spot."""
        view, world = self.view, self.world
        picture = None
        # A small copy is enough to see where the picture is calm and free.
        if self.image is not None:
            small = self.image.scaled(96, 72).convertToFormat(QImage.Format.Format_RGB888)
            rows = np.frombuffer(small.constBits(), np.uint8).reshape(small.height(), small.bytesPerLine())
            picture = rows[:, : small.width() * 3].reshape(small.height(), small.width(), 3).astype(np.float32)
        seen = [
            view.on_screen(placing.centre(p, view)[None])[0]
            for o in self.session.doc.overlays
            if o.shown
            for p in o.places
            # In front of the camera only: what lies behind it has a place on the screen as well, and a wrong one.
        ]
        spots = seen_spots(view, picture, [(float(x), float(y)) for x, y, z in seen if z > 0.05])

        def put(place: Place) -> Place:
            made, number = stood(place, view, world, spots)
            if number >= 0:
                spots.append(spots.pop(number))  # the next one takes another, as long as there are some
            return made

        return put

    def frame(self) -> bool:
        """Look at the chosen placement from where the camera is, so near that it fills half of the picture."""
        place = self.place
        if place is None:
            return False
        corners = self.outline_of(place)
        size = float(np.linalg.norm(corners.max(axis=0) - corners.min(axis=0)))
        x, y, z = (float(v) for v in corners.mean(axis=0))
        # Six tenths of the smaller side: near enough to be worked at, with room for its handles.
        far = self.view.focal * size / (0.62 * min(self.width(), self.height()))
        self.look(
            self.camera.model_copy(
                update={"name": self.camera.name, "target": (x, y, z), "distance": min(max(far, 0.25), 60.0)}
            )
        )
        return True

    def redraw(self) -> None:
        seen, camera, time = self.engine.snapshot(self.desk.shown(self.session.doc)), self.camera, self.desk.time
        size = self.size(), self.devicePixelRatioF()
        now = seen.key, camera, size, self.seen_as, time if seen.moves else 0.0
        moving = self._rest.isActive()
        # What the last picture was drawn from; while the camera moves every ask is a new one.
        if not moving and now == self._shown and self.image is not None:
            return  # nothing that is seen has changed
        self._shown = None if moving else now
        if self.seen_as != "colour" and not moving:
            self.draw_later(camera, lambda w, h: self._look(seen, View(camera, w, h, time)))
            return
        playing = self.desk.playing
        self.draw_later(
            camera,
            lambda w, h: self.painter.paint(
                seen.doc, seen.textures, View(camera, w, h, time), meshes=seen.meshes, moving=moving, playing=playing
            ),
        )

    def _look(self, seen: SceneSnapshot, view: View) -> Any:
        found = look_at(self.seen_as, seen.draws(view), view, seen.doc.lighting, budget=seen.doc.overdraw)
        self.found = found
        return found.codes

    def see_as(self, look: str) -> None:
        """Show colour, or one of the other looks."""
        self.seen_as, self.found = look, None
        self.redraw()

    @property
    def place(self) -> Place | None:
        """The selected placement, if it is on the stage."""
        o = self.session.overlay
        if o is None or not o.shown:
            return None
        return next((p for p in o.places if p.id == self.session.place_id), None)

    @property
    def world(self) -> World:
        """The environment of the stage: surroundings, solids and lights, built for this document."""
        return self.engine.snapshot().world

    def outline_of(self, place: Place) -> Doubles:
        """Corners of a placement in the world."""
        t = self.engine.get(self.session.overlay_id).texture
        if t is None:
            return placing.outline(place, self.view, world=self.world)
        return placing.outline(placing.framed(place, t.extent), self.view, t.pivot, self.world)

    def _corners(self) -> list[QPointF] | None:
        if (p := self.place) is None:
            return None
        seen = self.view.on_screen(self.outline_of(p))
        # A corner behind the eye has no place on the screen, and the handles would be anywhere.
        return None if (seen[:, 2] < 0.05).any() else [QPointF(float(x), float(y)) for x, y, _ in seen]

    def _knob(self, corners: list[QPointF]) -> QPointF:
        top, low = (corners[0] + corners[1]) / 2, (corners[2] + corners[3]) / 2
        out = top - low
        length = max(math.hypot(out.x(), out.y()), 1.0)
        return top + out / length * KNOB

    def paint_over(self, p: QPainter) -> None:
        if self.marked is not None:
            at = QPointF(self.marked[0] * self.width(), self.marked[1] * self.height())
            # Dark and wide below, light and thin above: seen over any picture.
            for colour, width in ((theme.CASING, 4.0), (theme.FINDING, 1.6)):
                p.setPen(QPen(QColor(colour), width))
                p.drawEllipse(at, 13, 13)
        if self.pinned is not None:
            x, y = self.pinned[0] * self.width(), self.pinned[1] * self.height()
            for colour, width in ((theme.CASING, 3.4), (theme.CHOSEN, 1.2)):
                p.setPen(QPen(QColor(colour), width))
                for dx, dy in ((1, 0), (-1, 0), (0, 1), (0, -1)):
                    p.drawLine(QPointF(x + 4 * dx, y + 4 * dy), QPointF(x + 14 * dx, y + 14 * dy))
        if self.lit and (o := self.session.doc.overlay(self.lit)) is not None:
            _outline_all(p, self, o)
        if self.seen_as != "colour" and self.found is not None:
            draw_scale(p, self.found, self.width(), self.height(), self.session.doc.overdraw)
        # While faces are chosen a click must mean a face, and handles would promise something else.
        if self.choose_face is not None:
            return
        if self.effects_marked:
            paint_mark(p, self)
        if self.on_layer:
            p.setBrush(Qt.BrushStyle.NoBrush)
            tip = max(self.layer_painter.tip_on_screen(self.view) / 2, 3.0)
            for colour, width in ((theme.CASING, 3.0), (theme.TEXT, 1.2)):
                p.setPen(QPen(QColor(colour), width))
                p.drawEllipse(self._pointer, tip, tip)
            return
        corners = self._corners()
        if corners is None or (self.effects_marked and self.session.doc.effects):
            return
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        outline, knob = QPolygonF([*corners, corners[0]]), self._knob(corners)
        stem = (corners[0] + corners[1]) / 2
        for colour, width in ((theme.CASING, 3.2), (theme.CHOSEN, 1.3)):
            p.setPen(QPen(QColor(colour), width))
            p.drawPolyline(outline)
            p.drawLine(stem, knob)
        p.setPen(QPen(QColor("#101010"), 1))
        p.setBrush(QColor(theme.CHOSEN))
        for c in corners:
            p.drawRect(QRectF(c.x() - 3.5, c.y() - 3.5, 7, 7))
        p.drawEllipse(knob, 5, 5)

    def grip_at(self, at: QPointF) -> str:
        """Which handle of the selected placement is under a place: ``turn``, ``scale`` or none."""
        corners = self._corners()
        if corners is None:
            return ""
        if far(at, self._knob(corners)) < 11:
            return "turn"
        return "scale" if any(far(at, c) < 11 for c in corners) else ""

    def pick(self, at: QPointF) -> tuple[str, str] | None:
        """Overlay and placement under a place."""
        doc, view = self.session.doc, self.view
        seen = self.painter.seen
        # The draws of the picture that is seen: a click means what the artist sees, not what comes next.
        if seen is not None and seen[0].overlays is doc.overlays and seen[1].camera == view.camera:
            view = replace(view, time=seen[1].time)
            draws = seen[2]
        else:
            draws = self.engine.snapshot().draws(view)
        return pick(doc, draws, view, at.x(), at.y())

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self.marked = None
        self.hand.press(event)

    def on_canvas(self, at: QPointF) -> Spot | None:
        """Where the chosen overlay is met under a place; None: nowhere."""
        found = self.layer_painter.touch(self.view, at.x(), at.y())
        return None if found is None else found[0]

    leaps = True

    def way(self, before: QPointF, now: QPointF) -> list[Spot | None]:
        """Places that a drag goes through, every few pixels: between them the surface may bend, end, change its island."""
        # Every four pixels, forty places at most: a flick of the pen must not take longer than the flick.
        steps = min(max(1, math.ceil(far(now, before) / 4)), 40)
        return [self.on_canvas(before + (now - before) * (i + 1) / steps) for i in range(steps)]

    def stroke_grows(self) -> None:
        """The stroke under the pointer has grown: the flat proof shows it at once, the stage soon after."""
        self.layer_painter.draw_flat()
        self.layer_painter.commit_now()

    def face_under(self, at: QPointF) -> int:
        """The mesh's face under a place; −1: none."""
        found = self.layer_painter.touch(self.view, at.x(), at.y())
        return -1 if found is None else int(found[1])

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        self._pointer = event.position()
        if self.on_layer:
            self.update()
        self.hand.move(event)
        if not self.hand.busy:
            self.pointed.emit(event.position().x(), event.position().y())

    def wheelEvent(self, event: QWheelEvent) -> None:
        if self.on_layer and event.modifiers() & Qt.KeyboardModifier.ControlModifier:
            self.layer_painter.grow_tip(1.15 ** (event.angleDelta().y() / 120))
            self.update()
            return
        self.look(zoom(self.camera, 1.12 ** (event.angleDelta().y() / 120)))


def _outline_all(p: QPainter, canvas: StageCanvas, o: Overlay) -> None:
    """Outline the placements of an overlay."""
    t = canvas.engine.get(o.id).texture
    for place in o.places:
        framed = placing.framed(place, t.extent) if t is not None else place
        seen = canvas.view.on_screen(placing.outline(framed, canvas.view, t.pivot if t else (0.5, 0.5), canvas.world))
        if (seen[:, 2] >= 0.05).all():
            shape = QPolygonF([QPointF(float(x), float(y)) for x, y, _ in (*seen, seen[0])])
            for colour, width in ((theme.CASING, 4.0), (theme.CHOSEN, 2.0)):
                p.setPen(QPen(QColor(colour), width))
                p.drawPolyline(shape)

"""The stage in the window: orbit, pan, zoom; placements are selected, moved, turned and scaled in the picture."""

import math
import time
from collections.abc import Callable
from dataclasses import replace
from typing import Any

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt, QTimer, Signal
from PySide6.QtGui import QColor, QImage, QMouseEvent, QPainter, QPen, QPolygonF, QTabletEvent, QWheelEvent
from PySide6.QtWidgets import QHBoxLayout, QInputDialog, QLabel, QVBoxLayout, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term
from mivex.core.base.types import Doubles
from mivex.core.findings.base import Moment, Pixel
from mivex.core.project import edits
from mivex.core.project.document import Document, Overlay
from mivex.core.scene.draw_calls import build_environment, draw_list
from mivex.core.scene.picking import pick
from mivex.core.scene.stage_painter import StagePainter
from mivex.core.stage import placement_geometry as placing
from mivex.core.stage.camera import CAMERAS, Camera, View, zoom
from mivex.core.stage.looks import HINTS, LOOKS, Look, look_at
from mivex.core.stage.placements_model import Place
from mivex.core.stage.standing import seen_spots, stood
from mivex.core.stage.surroundings import World
from mivex.ui import theme
from mivex.ui.fields.fields import QuietCombo
from mivex.ui.fields.labels import Elided
from mivex.ui.proofs.canvas import Canvas
from mivex.ui.proofs.light import LightDial, LightPanel
from mivex.ui.proofs.scale import draw_scale
from mivex.ui.session.desk import PlaybackController
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session
from mivex.ui.tools.base import ToolDispatcher, far
from mivex.ui.tools.effects import Fire, MoveEffect, paint_mark
from mivex.ui.tools.paint import FaceClick, LayerBrush
from mivex.ui.tools.stage import Orbit, Pan, Placement

TIP = "Drag turns, Shift-drag pans, wheel comes near."
KNOB = 26.0
"""Distance of the turning knob from the outline, pixels."""


class StageCanvas(Canvas):
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
        self.layer_painter: Any = None
        self.stroke_end: tuple[float, float] | None = None
        self.choose_face: Callable[[int], None] | None = None
        self._pointer = QPointF(-99, -99)
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
        """Look from another place."""
        self.camera = camera
        self.moved.emit()
        self._rest.start()
        self.redraw()

    def stander(self) -> Callable[[Place], Place]:
        """Puts one new placement after another where it is seen from here, each at another spot."""
        view, world = self.view, self.world
        picture = None
        if self.image is not None:
            small = self.image.scaled(96, 72).convertToFormat(QImage.Format.Format_RGB888)
            rows = np.frombuffer(small.constBits(), np.uint8).reshape(small.height(), small.bytesPerLine())
            picture = rows[:, : small.width() * 3].reshape(small.height(), small.width(), 3).astype(np.float32)
        seen = [
            view.on_screen(placing.centre(p, view)[None])[0] for o in self.session.doc.overlays if o.shown for p in o.places
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
        far = self.view.focal * size / (0.62 * min(self.width(), self.height()))
        self.look(
            self.camera.model_copy(
                update={"name": self.camera.name, "target": (x, y, z), "distance": min(max(far, 0.25), 60.0)}
            )
        )
        return True

    def redraw(self) -> None:
        doc, textures, camera = self.desk.shown(self.session.doc), self.engine.stage_textures(), self.camera
        time = self.desk.time
        meshes = self.engine.results.meshes()
        there = {k: id(x) for k, x in (*meshes.items(), *textures.items())}
        # Steps are not looked at: what they make of a texture is, once it is there.
        seen = tuple((o.id, o.shown, o.material, o.places, o.sheet) for o in doc.overlays)
        moves = time if doc.effects or any(o.sheet.grids or o.material.flow.strength for o in doc.overlays) else 0.0
        size = self.size(), self.devicePixelRatioF()
        now = (seen, doc.lighting, doc.around, there, camera, size, self.seen_as, doc.overdraw, doc.effects, doc.air, moves)
        moving = self._rest.isActive()
        if not moving and now == self._shown and self.image is not None:
            return  # nothing that is seen has changed
        self._shown = None if moving else now
        if self.seen_as != "colour" and not moving:
            self.draw_later(camera, lambda w, h: self._look(doc, textures, View(camera, w, h, time), meshes))
            return
        playing = self.desk.playing
        self.draw_later(
            camera,
            lambda w, h: self.painter.paint(
                doc, textures, View(camera, w, h, time), meshes=meshes, moving=moving, playing=playing
            ),
        )

    def _look(self, doc: Document, textures: Any, view: View, meshes: Any) -> Any:
        found = look_at(self.seen_as, draw_list(doc, textures, view, meshes), view, doc.lighting, budget=doc.overdraw)
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
        """What stands round the overlays."""
        return build_environment(self.session.doc, self.engine.results.meshes())

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
        return None if (seen[:, 2] < 0.05).any() else [QPointF(float(x), float(y)) for x, y, _ in seen]

    def _knob(self, corners: list[QPointF]) -> QPointF:
        top, low = (corners[0] + corners[1]) / 2, (corners[2] + corners[3]) / 2
        out = top - low
        length = max(math.hypot(out.x(), out.y()), 1.0)
        return top + out / length * KNOB

    def paint_over(self, p: QPainter) -> None:
        if self.marked is not None:
            at = QPointF(self.marked[0] * self.width(), self.marked[1] * self.height())
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
            self._light(p, o)
        if self.seen_as != "colour" and self.found is not None:
            draw_scale(p, self.found, self.width(), self.height(), self.session.doc.overdraw)
        if self.choose_face is not None:
            return
        if self.effects_marked:
            paint_mark(p, self)
        if self.layer_painter is not None and self.layer_painter.on:
            p.setBrush(Qt.BrushStyle.NoBrush)
            for colour, width in ((theme.CASING, 3.0), (theme.TEXT, 1.2)):
                p.setPen(QPen(QColor(colour), width))
                p.drawEllipse(self._pointer, 7, 7)
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

    def _light(self, p: QPainter, o: Overlay) -> None:
        """Outline the placements of an overlay."""
        t = self.engine.get(o.id).texture
        for place in o.places:
            framed = placing.framed(place, t.extent) if t is not None else place
            seen = self.view.on_screen(placing.outline(framed, self.view, t.pivot if t else (0.5, 0.5), self.world))
            if (seen[:, 2] >= 0.05).all():
                shape = QPolygonF([QPointF(float(x), float(y)) for x, y, _ in (*seen, seen[0])])
                for colour, width in ((theme.CASING, 4.0), (theme.CHOSEN, 2.0)):
                    p.setPen(QPen(QColor(colour), width))
                    p.drawPolyline(shape)

    @property
    def at_work(self) -> bool:
        """A layer is painted on, or faces are chosen."""
        return self.choose_face is not None or (self.layer_painter is not None and self.layer_painter.on)

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
        if seen is not None and seen[0].overlays is doc.overlays and seen[1].camera == view.camera:
            view = replace(view, time=seen[1].time)
            draws = seen[2]
        else:
            results = self.engine.results
            draws = draw_list(doc, results.overlays(), view, results.meshes())
        return pick(doc, draws, view, at.x(), at.y())

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self.marked = None
        self.hand.press(event)

    def on_canvas(self, at: QPointF) -> tuple[float, float] | None:
        """Where the chosen overlay is met under a place, as shares of its canvas; None: nowhere."""
        found = self.layer_painter.touch(self.view, at.x(), at.y())
        return None if found is None else found[:2]

    leaps = True

    def way(self, before: QPointF, now: QPointF) -> list[tuple[float, float] | None]:
        """Places that a drag goes through, every few pixels: between them the surface may bend, end, change its island."""
        steps = min(max(1, math.ceil(far(now, before) / 4)), 40)
        return [self.on_canvas(before + (now - before) * (i + 1) / steps) for i in range(steps)]

    def stroke_grows(self) -> None:
        """The stroke under the pointer has grown: the flat proof shows it at once, the stage soon after."""
        self.layer_painter.draw_flat()
        self.layer_painter.commit_now()

    def face_under(self, at: QPointF) -> int:
        """The mesh's face under a place; −1: none."""
        found = self.layer_painter.touch(self.view, at.x(), at.y())
        return -1 if found is None else int(found[2])

    def tabletEvent(self, event: QTabletEvent) -> None:
        if self.layer_painter is not None:
            self.layer_painter.pen = (float(event.pressure()), time.monotonic())
        event.ignore()  # the mouse event that follows draws

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        self._pointer = event.position()
        if self.layer_painter is not None and self.layer_painter.on:
            self.update()
        self.hand.move(event)
        if not self.hand.busy:
            self.pointed.emit(event.position().x(), event.position().y())

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        self.hand.release()

    def wheelEvent(self, event: QWheelEvent) -> None:
        self.look(zoom(self.camera, 1.12 ** (event.angleDelta().y() / 120)))


class StageProof(QWidget):
    """Stage canvas with its header."""

    def __init__(
        self, session: Session, engine: Engine, desk: PlaybackController, choose_file: Callable[[str], str]
    ) -> None:
        super().__init__()
        self.session, self.desk = session, desk
        self.canvas = StageCanvas(session, engine, desk)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        head = QWidget()
        head.setObjectName("strip")
        head.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        head.setFixedHeight(theme.HEAD)
        beside = QHBoxLayout(head)
        beside.setContentsMargins(8, 5, 6, 5)
        beside.setSpacing(6)
        rows = QVBoxLayout()
        rows.setSpacing(3)
        beside.addLayout(rows, 1)
        self.dial = LightDial(session)
        beside.addWidget(self.dial)
        top, low = QHBoxLayout(), QHBoxLayout()
        rows.addLayout(top)
        rows.addLayout(low)
        self.cameras = QuietCombo()
        self.cameras.setAccessibleName(tr("Camera"))
        self.cameras.setToolTip(tr("Camera   (C)"))
        self.cameras.setMinimumWidth(70)
        self.cameras.setMaximumWidth(116)
        self.cameras.activated.connect(self._look)
        top.addWidget(self.cameras)
        keep = theme.tool("keep", "Keep this view as a camera")
        keep.clicked.connect(self._keep)
        top.addSpacing(2)
        top.addWidget(keep)
        self.looks = QuietCombo()
        self.looks.setAccessibleName(tr("Seen as"))
        self.looks.setMinimumWidth(84)
        self.looks.setMaximumWidth(136)
        for key, words in LOOKS.items():
            self.looks.addItem(tr(words), key)
            self.looks.setItemData(self.looks.count() - 1, tr(HINTS[key]), Qt.ItemDataRole.ToolTipRole)
        self.looks.setToolTip(tr("What the stage shows: colour, or why it is so   (N)"))
        self.looks.activated.connect(lambda row: self.see_as(list(LOOKS)[row]))
        top.addWidget(self.looks)
        top.addStretch()
        self._choose_file = choose_file
        self._panel: LightPanel | None = None
        self.light_button = theme.tool("lamp", "Light and surroundings   (K)")
        self.light_button.clicked.connect(self.open_light)
        top.addWidget(self.light_button)
        self.order = Elided("soft")
        self.order.setMinimumHeight(24)
        low.addWidget(self.order, 1)
        self.place = QLabel()
        self.place.setObjectName("soft")
        self.place.setFont(theme.figures_font())
        low.addWidget(self.place)
        column.addWidget(head)
        column.addWidget(self.canvas, 1)
        self.tip = Elided("figure")
        self.tip.setText(tr(TIP))
        self.tip.setContentsMargins(10, 3, 10, 3)
        column.addWidget(self.tip)
        session.changed.connect(self.refresh)
        session.chosen.connect(self.refresh)
        self.canvas.moved.connect(self.refresh)
        self._doc: Document | None = None
        self.refresh()

    def open_light(self) -> None:
        """Show the settings of the light and the surroundings."""
        self.light_panel.open_under(self.light_button)

    @property
    def light_panel(self) -> LightPanel:
        """The settings of the light, made when they are first wanted."""
        if self._panel is None:
            self._panel = LightPanel(self.session, self, self._choose_file)
        return self._panel

    def refresh(self) -> None:
        """Show cameras and the selected placement."""
        names = [c.name for c in self.session.doc.cameras]
        if [self.cameras.itemText(i) for i in range(len(names))] != names or self.cameras.count() > len(names) + 1:
            self.cameras.clear()
            self.cameras.addItems(names)
        here = next((i for i, c in enumerate(self.session.doc.cameras) if c == self.canvas.camera), -1)
        self.cameras.setCurrentIndex(here)
        self.cameras.setPlaceholderText(tr("Free view"))
        o, p = self.session.overlay, self.canvas.place
        if o is None:
            self.order.setText(tr("Nothing placed yet"))
            self.place.setText("")
            return
        nudge = f" {o.material.nudge:+d}" if o.material.nudge else ""
        self.order.setText(
            tr(
                Message(
                    "{blend} · group {group}{nudge}",
                    blend=term(o.material.blend),
                    group=term(o.material.group),
                    nudge=term(nudge),
                )
            )
        )
        if not o.shown:
            self.place.setText(tr("hidden"))
        elif p is None:
            self.place.setText(tr("not placed"))
        else:
            self.place.setText(tr(Message("{width:.2f} × {height:.2f} m", width=p.width, height=p.height)))

    def see_as(self, look: str) -> None:
        """Show colour, or one of the other looks, with its scale."""
        self.looks.setCurrentIndex(list(LOOKS).index(look))
        self.looks.setToolTip(tr(HINTS[look]))
        self.canvas.see_as(look)
        self.tip.setText(tr(HINTS[look] if look != "colour" else TIP))

    def next_look(self) -> None:
        """Go on to the next look."""
        rows = list(LOOKS)
        self.see_as(rows[(rows.index(self.canvas.seen_as) + 1) % len(rows)])

    def show_place(self, place: object) -> None:
        """Look from the camera that a finding names, and mark its pixel."""
        if isinstance(place, Pixel):
            camera = next((c for c in self.session.doc.cameras if c.name == place.camera), None)
            if camera is not None:
                self.canvas.look(camera)
            self.canvas.marked = place.x, place.y
            self.canvas.update()
        elif isinstance(place, Moment):
            found = next((e for e in self.session.doc.effects if e.name == place.effect), None)
            if found is not None:
                self.desk.choose(found.id)
            self.desk.play(False)
            self.desk.go_to(place.seconds)

    def _look(self, row: int) -> None:
        self.canvas.look(self.session.doc.cameras[row])

    def _keep(self) -> None:
        name, ok = QInputDialog.getText(self, tr("Keep this view"), tr("Name of the camera:"))
        if ok and name.strip():
            camera = self.canvas.camera.model_copy(update={"name": name.strip()})
            self.session.apply("Keep view", lambda d: edits.set_camera(d, camera))
            self.canvas.look(camera)

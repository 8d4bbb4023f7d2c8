"""One chart of a life, edited where it is drawn.

Points and stops are dragged, added by a double click and taken away by the right button; bands at the left end are the
spread at birth; bursts are marks on the run.
"""

import numpy as np
from PySide6.QtCore import QPoint, QPointF, Qt, Signal
from PySide6.QtGui import QColor, QKeyEvent, QMouseEvent
from PySide6.QtWidgets import QColorDialog, QMenu

from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message, term
from mivex.core.motion.curves import Curve, Ramp, Stop
from mivex.core.motion.model import Burst
from mivex.core.pixels.colour import to_display
from mivex.core.project import edits
from mivex.ui.proofs.life_picture import REACH, ChartPicture, Grip
from mivex.ui.tools.lanes import BY_KEY, LANES, added, moved, span_of, without


class LifeChart(ChartPicture):
    """The chart of the chosen part."""

    hint = Signal(object)  # a Message; as str it would lose its template

    # The mouse -------------------------------------------------------------------------------------

    def _under(self, at: QPointF) -> Grip | None:
        e = self.emitter
        if e is None:
            return None
        box, m = self.run_box(), e.emission
        if box.adjusted(-6, -14, 6, 8).contains(at):
            for k, burst in enumerate(m.bursts):
                if abs(box.left() + burst.time / m.duration * box.width() - at.x()) < REACH:
                    return Grip("", "burst", k)
            if m.rate_curve is not None:
                top = max(float(np.clip(m.rate_curve.table, 0, None).max()), 1.0) * 1.15
                for k, (a, b) in enumerate(m.rate_curve.points):
                    spot = QPointF(box.left() + a * box.width(), box.bottom() - max(b, 0) / top * box.height())
                    if (spot - at).manhattanLength() < 2 * REACH:
                        return Grip("", "rate", k)
            return Grip("", "run")
        for key, lane_box in self.lane_boxes().items():
            lane, value = BY_KEY[key], getattr(e.life, key)
            if lane.born and self.band_box(lane_box).adjusted(-3, -3, 3, 3).contains(at):
                if lane.born == "tint":
                    return Grip(key, "band", int(at.y() > lane_box.center().y()))
                span = self._band_span(lane, e)
                band = self.band_box(lane_box)
                ends = [abs(self.spot(band, span, 0, v).y() - at.y()) for v in getattr(e.birth, lane.born)]
                # Where both ends lie at one place, upwards takes the upper one.
                upper = at.y() <= self.spot(band, span, 0, getattr(e.birth, lane.born)[1]).y()
                return Grip(key, "band", 1 if ends[1] < ends[0] or (ends[0] == ends[1] and upper) else 0)
            if not lane_box.adjusted(-4, -4, 4, 4).contains(at):
                continue
            if isinstance(value, Ramp):
                for k, stop in enumerate(value.stops):
                    if abs(lane_box.left() + stop.at * lane_box.width() - at.x()) < REACH:
                        return Grip(key, "stop", k)
                return Grip(key, "lane")
            span = span_of(lane, value)
            near = [((self.spot(lane_box, span, a, b) - at).manhattanLength(), k) for k, (a, b) in enumerate(value.points)]
            d, k = min(near)
            return Grip(key, "point", k) if d < 2 * REACH else Grip(key, "lane")
        return None

    def mousePressEvent(self, event: QMouseEvent) -> None:
        at = event.position()
        if self.adder().contains(at) and self.emitter is not None:
            self.open_adder()
            return
        grip = self._under(at)
        if grip is None:
            names = [k for k, b in self.lane_boxes().items() if b.top() <= at.y() <= b.bottom()]
            if names:
                self.desk.choose_lane(names[0])
            return
        if grip.lane:
            self.desk.choose_lane(grip.lane)
        else:
            self.desk.choose_group("stream")
        if event.button() == Qt.MouseButton.RightButton:
            self.take_away(grip)
            return
        self.held = self.grip = grip
        if grip.kind in ("point", "stop"):
            self.point = grip.index
        self.update()

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if self.held is None:
            grip = self._under(event.position())
            taken = grip is not None and grip.kind in ("point", "stop", "band", "burst", "rate")
            self.setCursor(Qt.CursorShape.SizeAllCursor if taken else Qt.CursorShape.ArrowCursor)
            self.hint.emit(_WORDS.get(grip.kind, "") if grip is not None else "")
            return
        self._drag(self.held, event.position())

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        self.held = None
        self.session.end_merge()
        self.update()

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        grip, e = self._under(event.position()), self.emitter
        if grip is None or e is None:
            return
        at = event.position()
        if grip.kind == "run":
            box = self.run_box()
            x = min(max((at.x() - box.left()) / box.width(), 0.0), 1.0)
            if event.modifiers() & Qt.KeyboardModifier.ShiftModifier or e.emission.rate == 0:
                fresh = Burst(time=round(x * e.emission.duration * 0.999, 3), count=(12, 16))
                self.put("emission", "Add a burst", bursts=(*e.emission.bursts, fresh))
            else:
                curve, _ = added(e.emission.rate_curve or Curve(points=((0.0, 1.0), (1.0, 1.0)), smooth=False), x, 1.0)
                self.put("emission", "Add a point to the rate", rate_curve=curve)
        elif grip.kind == "lane":
            box, value = self.lane_boxes()[grip.lane], getattr(e.life, grip.lane)
            if isinstance(value, Ramp):
                x = min(max((at.x() - box.left()) / box.width(), 0.0), 1.0)
                r, g, b = (float(v) for v in to_display(np.clip(value.at(x), 0, 1).astype(np.float32)))
                stops = sorted([*value.stops, Stop(at=round(x, 4), colour=(r, g, b))], key=lambda s: s.at)
                self.put("life", "Add a colour", **{grip.lane: value.model_copy(update={"stops": tuple(stops)})})
            else:
                curve, self.point = added(value, *self.value_at(box, span_of(BY_KEY[grip.lane], value), at))
                self.put("life", "Add a point", **{grip.lane: curve})
        elif grip.kind == "stop" or (grip.kind == "band" and grip.lane == "tint"):
            self.ask_colour(grip)
        self.held = None
        self.session.end_merge()

    def keyPressEvent(self, event: QKeyEvent) -> None:
        e, key = self.emitter, self.desk.lane
        value = getattr(e.life, key, None) if e is not None else None
        rows = list(self.lane_boxes())
        steps = {
            Qt.Key.Key_Left: (-0.01, 0.0),
            Qt.Key.Key_Right: (0.01, 0.0),
            Qt.Key.Key_Up: (0.0, 0.02),
            Qt.Key.Key_Down: (0.0, -0.02),
        }
        if event.key() in (Qt.Key.Key_PageDown, Qt.Key.Key_PageUp) and rows:
            at = rows.index(key) if key in rows else 0
            self.desk.choose_lane(rows[(at + (1 if event.key() == Qt.Key.Key_PageDown else -1)) % len(rows)])
        elif value is None:
            super().keyPressEvent(event)
        elif event.key() == Qt.Key.Key_Tab or (event.text() == " "):
            n = len(value.points) if isinstance(value, Curve) else len(value.stops)
            self.point = (self.point + 1) % n
            self.update()
        elif event.key() == Qt.Key.Key_Delete:
            self.take_away(Grip(key, "point" if isinstance(value, Curve) else "stop", self.point))
        elif event.key() in steps and isinstance(value, Curve) and self.point < len(value.points):
            dx, dy = steps[Qt.Key(event.key())]
            x, y = value.points[self.point]
            self.put(
                "life",
                Message("Change {title}", title=InSentence(BY_KEY[key].title)),
                **{key: moved(value, self.point, x + dx, y + dy)},
            )
            self.session.end_merge()
        else:
            super().keyPressEvent(event)

    # Edits -----------------------------------------------------------------------------------------

    def put(self, group: str, label: str, **values: object) -> None:
        """Set values of a group of the chosen part."""
        key, part = self.desk.own_id, self.desk.part
        self.session.apply(
            label,
            lambda d: edits.set_part(d, key, part, group, **values),
            Message("chart {key} {part} {values}", key=key, part=term(part), values=sorted(values)),
        )

    def _drag(self, grip: Grip, at: QPointF) -> None:
        e = self.emitter
        if e is None:
            return
        m = e.emission
        if not grip.lane:
            box = self.run_box()
            x = min(max((at.x() - box.left()) / box.width(), 0.0), 1.0)
            if grip.kind == "burst" and grip.index < len(m.bursts):
                rows = list(m.bursts)
                time = round(min(x * m.duration, m.duration * 0.999), 3)
                rows[grip.index] = rows[grip.index].model_copy(update={"time": time})
                self.put("emission", "Move a burst", bursts=tuple(rows))
            elif grip.kind == "rate" and m.rate_curve is not None and grip.index < len(m.rate_curve.points):
                top = max(float(np.clip(m.rate_curve.table, 0, None).max()), 1.0) * 1.15
                y = max((box.bottom() - at.y()) / box.height() * top, 0.0)
                self.put("emission", "Change the rate over a run", rate_curve=moved(m.rate_curve, grip.index, x, y))
            return
        lane, where = BY_KEY[grip.lane], self.lane_boxes().get(grip.lane)
        value = getattr(e.life, grip.lane)
        if where is None:
            return
        box = where
        if grip.kind == "band" and lane.born != "tint":
            span = self._band_span(lane, e)
            _, y = self.value_at(self.band_box(box), span, at)
            low, high = getattr(e.birth, lane.born)
            y = max(y, 0.001 if lane.born == "width" else span[0])
            y = round(min(y, 1.0 if lane.born == "opacity" else 1e4), 4)
            pair = (min(y, high), high) if grip.index == 0 else (low, max(y, low))
            self.put("birth", Message("Change the spread of {title}", title=InSentence(lane.title)), **{lane.born: pair})
        elif grip.kind == "point" and isinstance(value, Curve):
            x, y = self.value_at(box, span_of(lane, value), at)
            if lane.key in ("opacity", "erosion", "frame"):
                y = min(max(y, 0.0), 1.0)
            self.put(
                "life",
                Message("Change {title}", title=InSentence(lane.title)),
                **{lane.key: moved(value, grip.index, x, y)},
            )
        elif grip.kind == "stop" and isinstance(value, Ramp):
            x = min(max((at.x() - box.left()) / box.width(), 0.0), 1.0)
            stops = list(value.stops)
            low = stops[grip.index - 1].at if grip.index else 0.0
            high = stops[grip.index + 1].at if grip.index + 1 < len(stops) else 1.0
            stops[grip.index] = stops[grip.index].model_copy(update={"at": round(min(max(x, low), high), 4)})
            self.put("life", "Move a colour", **{lane.key: value.model_copy(update={"stops": tuple(stops)})})

    def take_away(self, grip: Grip) -> None:
        """Remove a point, a colour, a burst; a lane's last point leaves the lane."""
        e = self.emitter
        if e is None:
            return
        if grip.kind == "burst":
            self.put(
                "emission", "Remove a burst", bursts=tuple(b for k, b in enumerate(e.emission.bursts) if k != grip.index)
            )
        elif grip.kind == "rate" and e.emission.rate_curve is not None:
            fewer = without(e.emission.rate_curve, grip.index)
            self.put("emission", "Remove a point of the rate", rate_curve=None if len(fewer.points) < 2 else fewer)
        elif grip.kind in ("point", "stop"):
            value = getattr(e.life, grip.lane)
            if isinstance(value, Curve):
                self.put("life", "Remove a point", **{grip.lane: without(value, grip.index)})
            elif len(value.stops) > 1:
                stops = tuple(s for k, s in enumerate(value.stops) if k != grip.index)
                self.put("life", "Remove a colour", **{grip.lane: value.model_copy(update={"stops": stops})})
        self.point = 0
        self.session.end_merge()

    def ask_colour(self, grip: Grip) -> None:
        """Ask for another colour of a stop, or of the spread at birth."""
        e = self.emitter
        if e is None:
            return
        ramp = e.life.tint
        now = ramp.stops[grip.index].colour if grip.kind == "stop" and ramp is not None else e.birth.tint[grip.index]
        found = QColorDialog.getColor(QColor.fromRgbF(*now), self, tr("Colour"))
        if not found.isValid():
            return
        colour = (round(found.redF(), 4), round(found.greenF(), 4), round(found.blueF(), 4))
        if grip.kind == "stop" and ramp is not None:
            stops = tuple(
                s.model_copy(update={"colour": colour}) if k == grip.index else s for k, s in enumerate(ramp.stops)
            )
            self.put("life", "Change a colour", tint=ramp.model_copy(update={"stops": stops}))
        else:
            pair = (colour, e.birth.tint[1]) if grip.index == 0 else (e.birth.tint[0], colour)
            self.put("birth", "Change the tint at birth", tint=pair)
        self.session.end_merge()

    def open_adder(self) -> None:
        """Offer the lanes that are not there."""
        e = self.emitter
        if e is None:
            return
        self.menu = QMenu(self)
        for lane in LANES:
            if getattr(e.life, lane.key) is None:
                self.menu.addAction(tr(lane.title)).triggered.connect(lambda _=False, k=lane.key: self.add_lane(k))
        self.menu.popup(self.mapToGlobal(QPoint(int(self.adder().left()), int(self.adder().bottom()))))

    def add_lane(self, key: str) -> None:
        """Add a lane by its name."""
        self.put("life", Message("Add the lane {title}", title=InSentence(BY_KEY[key].title)), **{key: BY_KEY[key].usual})
        self.session.end_merge()
        self.desk.choose_lane(key)


_WORDS = {
    "point": "Drag the point; the right button takes it away. Double click on the lane adds one.",
    "stop": "Drag the colour; double click for another one; the right button takes it away.",
    "band": "The spread at birth: drag its lower or upper end.",
    "burst": "Drag the burst; the right button takes it away.",
    "rate": "Drag the point of the rate; the right button takes it away.",
    "run": "Double click adds a point to the rate, with Shift a burst.",
    "lane": "Double click adds a point.",
}

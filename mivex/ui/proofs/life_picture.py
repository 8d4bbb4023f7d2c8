"""The picture of a life: the effect's run above, and below, from birth to death, a lane for each thing that changes."""

from dataclasses import dataclass
from typing import Any

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import (
    QColor,
    QFont,
    QLinearGradient,
    QPainter,
    QPainterPath,
    QPaintEvent,
    QPen,
    QPolygonF,
)
from PySide6.QtWidgets import QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term
from mivex.core.motion.curves import Curve, Ramp
from mivex.core.motion.model import Emitter
from mivex.core.pixels.colour import to_display
from mivex.ui import theme
from mivex.ui.session.desk import PlaybackController
from mivex.ui.session.session import Session
from mivex.ui.tools.lanes import BY_KEY, LANES, Lane, lanes_of, span_of

NAMES, BAND, RIGHT = 86, 46, 70
"""Pixels of the names at the left, of the spread at birth, of the values at the right."""
RUN, LANE, GAP = 74, 58, 6
"""Heights: of the run, of a lane at least, between them."""
REACH = 9.0


@dataclass(frozen=True)
class Grip:
    """Something that can be dragged: of a lane or the run, which kind, and its number."""

    lane: str
    kind: str
    index: int = 0


class ChartPicture(QWidget):
    """Where everything lies in the chart of the chosen part, and how it is drawn."""

    def __init__(self, session: Session, desk: PlaybackController) -> None:
        super().__init__()
        self.session, self.desk = session, desk
        self.setAccessibleName(tr("Chart of a life"))
        self.setMouseTracking(True)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setMinimumSize(260, 200)
        self.grip: Grip | None = None
        self.held: Grip | None = None
        self.point = 0
        for signal in (session.changed, desk.told, desk.followed, desk.ticked):
            signal.connect(self.update)

    # Where things lie ------------------------------------------------------------------------------

    @property
    def emitter(self) -> Emitter | None:
        """The part that is drawn."""
        return self.desk.emitter

    def run_box(self) -> QRectF:
        """Where the run is drawn."""
        return QRectF(NAMES, 26, max(self.width() - NAMES - 12, 40), RUN - 26)

    def lane_boxes(self) -> dict[str, QRectF]:
        """Where every lane's curve is drawn."""
        e = self.emitter
        rows = lanes_of(e) if e is not None else []
        top = RUN + 34
        room = max(self.height() - top - 34, 60)
        high = min(max(room / max(len(rows), 1) - GAP, 30), 110)
        wide = max(self.width() - NAMES - BAND - RIGHT - 8, 40)
        return {lane.key: QRectF(NAMES + BAND, top + k * (high + GAP), wide, high) for k, lane in enumerate(rows)}

    def adder(self) -> QRectF:
        """The box of the button that adds a lane."""
        boxes = list(self.lane_boxes().values())
        low = boxes[-1].bottom() + GAP if boxes else RUN + 34.0
        return QRectF(10, min(low + 2, self.height() - 28), 120, 24)

    def spot(self, box: QRectF, span: tuple[float, float], x: float, y: float) -> QPointF:
        """The pixel of a place of a lane."""
        low, high = span
        share = (y - low) / max(high - low, 1e-6)
        return QPointF(box.left() + x * box.width(), box.bottom() - 4 - share * (box.height() - 8))

    def value_at(self, box: QRectF, span: tuple[float, float], at: QPointF) -> tuple[float, float]:
        """The inverse of `spot`."""
        low, high = span
        y = low + (box.bottom() - 4 - at.y()) / max(box.height() - 8, 1) * (high - low)
        return min(max((at.x() - box.left()) / box.width(), 0.0), 1.0), y

    def band_box(self, box: QRectF) -> QRectF:
        """Where the spread at birth is drawn, beside a lane."""
        return QRectF(box.left() - BAND + 2, box.top(), BAND - 12, box.height())

    def _band_span(self, lane: Lane, e: Emitter) -> tuple[float, float]:
        from mivex.core.motion.model import Birth

        extra: Any = Birth.model_fields[lane.born].json_schema_extra or {}
        low, high = extra.get("drag", (0.0, 1.0))
        value = getattr(e.birth, lane.born)
        return min(low, value[0]), max(high, value[1])

    # Drawing ---------------------------------------------------------------------------------------

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        p.fillRect(self.rect(), QColor(theme.PANEL))
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        e, effect = self.emitter, self.desk.effect
        if e is None or effect is None:
            p.setPen(QColor(theme.SOFT))
            p.setFont(theme.figures_font(13))
            p.drawText(
                QRectF(self.rect()).adjusted(24, 24, -24, -24),
                Qt.AlignmentFlag.AlignCenter | Qt.TextFlag.TextWordWrap,
                tr("No effect is chosen. “New effect” at the right begins one with this overlay."),
            )
            return
        self._paint_run(p, e)
        for key, box in self.lane_boxes().items():
            self._paint_lane(p, e, BY_KEY[key], box)
        boxes = list(self.lane_boxes().values())
        p.setFont(theme.figures_font(11))
        p.setPen(QColor(theme.SOFT))
        top = boxes[0].top() if boxes else RUN + 34.0
        left, wide = NAMES + BAND, max(self.width() - NAMES - BAND - RIGHT - 8, 40)
        p.drawText(QRectF(left, top - 20, 80, 16), Qt.AlignmentFlag.AlignLeft, tr("birth"))
        p.drawText(QRectF(left + wide - 80, top - 20, 80, 16), Qt.AlignmentFlag.AlignRight, tr("death"))
        low, high = e.birth.life
        words = Message("{low:g} s", low=low) if low == high else Message("{low:g} to {high:g} s", low=low, high=high)
        p.drawText(
            QRectF(10, top - 20, NAMES + BAND - 14, 16),
            Qt.AlignmentFlag.AlignLeft,
            tr(Message("life {words}", words=term(words))),
        )
        self._paint_particle(p, boxes)
        box = self.adder()
        free = [lane for lane in LANES if getattr(e.life, lane.key) is None]
        if free:
            p.setPen(QPen(QColor(theme.EDGE), 1))
            p.setBrush(Qt.BrushStyle.NoBrush)
            p.drawRoundedRect(box, 3, 3)
            p.setPen(QColor(theme.TEXT))
            p.setFont(theme.figures_font(12))
            p.drawText(box, Qt.AlignmentFlag.AlignCenter, tr("Add a lane …"))

    def _paint_run(self, p: QPainter, e: Emitter) -> None:
        box = self.run_box()
        m = e.emission
        p.setFont(theme.figures_font(12, QFont.Weight.DemiBold if self.desk.group == "stream" else QFont.Weight.Normal))
        p.setPen(QColor(theme.TEXT))
        p.drawText(QRectF(10, box.top(), NAMES - 14, 20), Qt.AlignmentFlag.AlignLeft, tr("Stream"))
        p.setFont(theme.figures_font(11))
        p.setPen(QColor(theme.SOFT))
        times = {"loop": "again and again", "once": "once", "times": Message("{times} times", times=m.times)}[m.runs]
        delay = Message(" after {delay:g} s", delay=m.delay) if m.delay else ""
        p.drawText(
            QRectF(NAMES, 6, box.width(), 16),
            Qt.AlignmentFlag.AlignLeft,
            tr(Message("a run of {duration:g} s, {times}{delay}", duration=m.duration, times=term(times), delay=delay)),
        )
        p.drawText(
            QRectF(10, box.top() + 20, NAMES - 14, 16),
            Qt.AlignmentFlag.AlignLeft,
            tr(Message("{rate:g} /s", rate=m.rate) if m.rate else "bursts" if m.bursts else "nothing"),
        )
        p.fillRect(box, QColor(theme.FIELD))
        if m.rate > 0:
            curve = m.rate_curve or Curve()
            shares = np.linspace(0, 1, 121)
            rates = np.clip(curve.at(shares), 0, None)
            top = max(float(rates.max()), 1.0) * 1.15
            path = QPolygonF(
                [
                    QPointF(box.left() + float(a) * box.width(), box.bottom() - float(b) / top * box.height())
                    for a, b in zip(shares, rates, strict=True)
                ]
            )
            p.setPen(QPen(QColor(theme.SOFT), 1.6))
            p.drawPolyline(path)
            if m.rate_curve is not None:
                for k, (a, b) in enumerate(curve.points):
                    at = QPointF(box.left() + a * box.width(), box.bottom() - max(b, 0) / top * box.height())
                    self._dot(p, at, chosen=self.held == Grip("", "rate", k))
        for k, burst in enumerate(m.bursts):
            for j in range(burst.repeats):
                t = burst.time + j * burst.every
                if t >= m.duration:
                    break
                x = box.left() + t / m.duration * box.width()
                p.setPen(QPen(QColor(theme.CHOSEN if j == 0 else theme.SOFT), 2 if j == 0 else 1))
                p.drawLine(QPointF(x, box.top() + 12), QPointF(x, box.bottom()))
                if j == 0:
                    low, high = burst.count
                    p.setFont(theme.figures_font(11))
                    p.drawText(
                        QRectF(x + 4, box.top() - 1, 80, 14),
                        Qt.AlignmentFlag.AlignLeft,
                        tr(f"{low}" if low == high else f"{low}–{high}"),
                    )
                    self._dot(p, QPointF(x, box.top() + 12), chosen=self.held == Grip("", "burst", k))
        time = self.desk.time - m.delay
        if time >= 0:
            share = (time % m.duration) / m.duration if m.runs == "loop" or time < m.duration else -1
            if share >= 0:
                x = box.left() + share * box.width()
                p.setPen(QPen(QColor(theme.CHOSEN), 1))
                p.drawLine(QPointF(x, box.top()), QPointF(x, box.bottom()))

    def _paint_lane(self, p: QPainter, e: Emitter, lane: Lane, box: QRectF) -> None:
        value = getattr(e.life, lane.key)
        chosen = self.desk.lane == lane.key and self.desk.group == "life"
        p.setFont(theme.figures_font(12, QFont.Weight.DemiBold if chosen else QFont.Weight.Normal))
        p.setPen(QColor(theme.TEXT if chosen else theme.SOFT))
        p.drawText(
            QRectF(10, box.top(), NAMES - 12, box.height()),
            Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter | Qt.TextFlag.TextWordWrap,
            tr(lane.title),
        )
        p.fillRect(box, QColor(theme.FIELD))
        if chosen:
            p.setPen(QPen(QColor(theme.CHOSEN), 1))
            p.setBrush(Qt.BrushStyle.NoBrush)
            p.drawRect(box)
        if lane.born:
            self._paint_band(p, e, lane, box)
        if isinstance(value, Ramp):
            self._paint_ramp(p, value, box, lane)
            return
        span = span_of(lane, value)
        x = np.linspace(0, 1, 161)
        path = QPainterPath(self.spot(box, span, 0, float(value.at(0.0))))
        for a, b in zip(x[1:], value.at(x[1:]), strict=True):
            path.lineTo(self.spot(box, span, float(a), float(b)))
        zero = self.spot(box, span, 0, 0.0).y()
        p.setPen(QPen(QColor(theme.EDGE), 1))
        p.drawLine(QPointF(box.left(), zero), QPointF(box.right(), zero))
        p.setBrush(Qt.BrushStyle.NoBrush)
        p.setPen(QPen(QColor(theme.TEXT if chosen else theme.SOFT), 1.7))
        p.drawPath(path)
        for k, (a, b) in enumerate(value.points):
            self._dot(p, self.spot(box, span, a, b), chosen=chosen and self.point == k)
        p.setPen(QColor(theme.FAINT))
        p.setFont(theme.figures_font(10))
        p.drawText(
            QRectF(box.left() + 3, box.top() + 1, 42, 12), Qt.AlignmentFlag.AlignLeft, tr(Message("{span:g}", span=span[1]))
        )

    def _paint_band(self, p: QPainter, e: Emitter, lane: Lane, box: QRectF) -> None:
        band = self.band_box(box)
        p.fillRect(band, QColor(theme.FIELD))
        value = getattr(e.birth, lane.born)
        if lane.born == "tint":
            for k, colour in enumerate(value):
                half = QRectF(band.left(), band.top() + k * band.height() / 2, band.width(), band.height() / 2)
                p.fillRect(half, QColor.fromRgbF(*colour))
            return
        span = self._band_span(lane, e)
        low, high = (self.spot(band, span, 0, v).y() for v in value)
        p.fillRect(QRectF(band.left(), high - 1, band.width(), max(low - high, 0) + 2), QColor(theme.SOFT))
        for k, y in enumerate((low, high)):
            held = self.held == Grip(lane.key, "band", k)
            p.setPen(QPen(QColor(theme.CHOSEN if held else theme.TEXT), 2))
            p.drawLine(QPointF(band.left(), y), QPointF(band.right(), y))

    def _paint_ramp(self, p: QPainter, ramp: Ramp, box: QRectF, lane: Lane) -> None:
        gradient = QLinearGradient(box.left(), 0, box.right(), 0)
        for t in np.linspace(0, 1, 25):
            r, g, b = (float(v) for v in to_display(np.clip(ramp.at(float(t)), 0, 1).astype(np.float32)))
            gradient.setColorAt(float(t), QColor.fromRgbF(r, g, b))
        p.fillRect(box.adjusted(0, 0, 0, -12), gradient)
        for k, stop in enumerate(ramp.stops):
            x = box.left() + stop.at * box.width()
            held = self.desk.lane == lane.key and self.point == k
            p.setPen(QPen(QColor("#101010"), 1))
            p.setBrush(QColor(theme.CHOSEN if held else theme.SOFT))
            p.drawPolygon(
                QPolygonF(
                    [QPointF(x, box.bottom() - 12), QPointF(x + 5, box.bottom() - 1), QPointF(x - 5, box.bottom() - 1)]
                )
            )

    def _paint_particle(self, p: QPainter, boxes: list[QRectF]) -> None:
        """The chosen particle runs along the lanes."""
        found = self.desk.picked
        e = self.emitter
        if found is None or e is None or not boxes:
            return
        parts, i = found
        share = float(parts.share[i])
        x = boxes[0].left() + share * boxes[0].width()
        p.setPen(QPen(QColor(theme.CHOSEN), 1, Qt.PenStyle.DotLine))
        p.drawLine(QPointF(x, boxes[0].top()), QPointF(x, boxes[-1].bottom()))
        p.setFont(theme.figures_font(11))
        for key, box in self.lane_boxes().items():
            lane, value = BY_KEY[key], getattr(e.life, key)
            if isinstance(value, Curve):
                p.setPen(Qt.PenStyle.NoPen)
                p.setBrush(QColor(theme.CHOSEN))
                p.drawEllipse(self.spot(box, span_of(lane, value), share, float(value.at(share))), 3.5, 3.5)
            p.setPen(QColor(theme.TEXT))
            p.drawText(
                QRectF(box.right() + 6, box.top(), RIGHT, box.height()),
                Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter,
                tr(lane.now(parts, i)),
            )

    @staticmethod
    def _dot(p: QPainter, at: QPointF, *, chosen: bool) -> None:
        p.setPen(QPen(QColor("#101010"), 1))
        p.setBrush(QColor(theme.CHOSEN if chosen else theme.SOFT))
        r = 4.5 if chosen else 3.5
        p.drawRect(QRectF(at.x() - r, at.y() - r, 2 * r, 2 * r))

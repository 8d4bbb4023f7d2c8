"""The tray's clock: time across, with play, steps and speed; one particle's life, its values under the pointer."""

import math

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QColor, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen, QPolygonF
from PySide6.QtWidgets import QComboBox, QHBoxLayout, QLabel, QVBoxLayout, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message, joined, term
from mivex.core.motion.model import Emitter
from mivex.core.motion.simulate import gone_at
from mivex.core.project import edits
from mivex.ui import theme
from mivex.ui.fields.fields import QuietCombo
from mivex.ui.fields.labels import enable
from mivex.ui.fields.number import Bar
from mivex.ui.session.desk import PlaybackController
from mivex.ui.session.session import Session
from mivex.ui.tools.lanes import lanes_of

SPEEDS = {"Full speed": 1.0, "Half": 0.5, "A quarter": 0.25, "A tenth": 0.1}
LEFT = 12


class Line(QWidget):
    """The clock's line: drag to any time; the emitters' runs above, one particle's life below."""

    def __init__(self, session: Session, desk: PlaybackController) -> None:
        super().__init__()
        self.session, self.desk = session, desk
        self.setAccessibleName(tr("Clock"))
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setMouseTracking(True)
        self.setMinimumHeight(96)
        self.pointer: float | None = None
        for signal in (desk.ticked, desk.told, desk.followed, session.changed):
            signal.connect(self.update)

    def x_of(self, time: float) -> float:
        """The pixel of a time."""
        low, high = self.desk.span
        return LEFT + (time - low) / max(high - low, 1e-6) * (self.width() - 2 * LEFT)

    def time_at(self, x: float) -> float:
        """The inverse of `x_of`, within what is played."""
        low, high = self.desk.span
        return min(max(low + (x - LEFT) / max(self.width() - 2 * LEFT, 1) * (high - low), low), high)

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        low, high = self.desk.span
        w, foot = self.width(), 20.0
        p.setFont(theme.figures_font(11))
        step = next((s for s in (0.1, 0.25, 0.5, 1, 2, 5, 10, 30, 60, 300, 900) if (high - low) / s <= 12), 3600)
        for k in range(math.ceil(low / step), math.floor(high / step + 1e-9) + 1):
            x = self.x_of(k * step)
            p.setPen(QColor(theme.EDGE))
            p.drawLine(QPointF(x, foot), QPointF(x, foot + 6))
            p.setPen(QColor(theme.SOFT))
            side = (
                Qt.AlignmentFlag.AlignLeft
                if x < 24
                else Qt.AlignmentFlag.AlignRight
                if x > w - 24
                else Qt.AlignmentFlag.AlignHCenter
            )
            box = QRectF(x - (2 if x < 24 else 40 if x <= w - 24 else 78), 2, 80, 14)
            p.drawText(box, side, tr(Message("{k:g} s", k=k * step)))
        p.setPen(QPen(QColor(theme.LINE), 2))
        p.drawLine(QPointF(LEFT, foot), QPointF(w - LEFT, foot))
        self._runs(p, foot)
        self._life(p)
        x = self.x_of(self.desk.time)
        p.setPen(QPen(QColor(theme.CASING), 4))
        p.drawLine(QPointF(x, foot - 4), QPointF(x, self.height() - 2))
        p.setPen(QPen(QColor(theme.CHOSEN), 1.6))
        p.drawLine(QPointF(x, foot - 4), QPointF(x, self.height() - 2))
        p.setBrush(QColor(theme.CHOSEN))
        p.setPen(Qt.PenStyle.NoPen)
        p.drawPolygon(QPolygonF([QPointF(x - 5, foot - 8), QPointF(x + 5, foot - 8), QPointF(x, foot - 1)]))

    def _runs(self, p: QPainter, foot: float) -> None:
        effect = self.desk.effect
        if effect is None:
            return
        low, high = self.desk.span
        for k, part in enumerate(effect.parts[:4]):
            y = foot + 9 + 5 * k
            m = part.emission
            n = {"loop": 10**6, "once": 1, "times": m.times}[m.runs]
            p.setPen(QPen(QColor(theme.SOFT if k == self.desk.part else theme.EDGE), 3))
            first = max(int((low - m.delay) // m.duration), 0)
            for j in range(first, min(n, first + 400)):
                a = m.delay + j * m.duration
                if a > high:
                    break
                p.drawLine(QPointF(self.x_of(max(a, low)) + 1, y), QPointF(self.x_of(min(a + m.duration, high)) - 1, y))

    def _life(self, p: QPainter) -> None:
        found, emitter = self.desk.picked, self.desk.emitter
        if found is None or emitter is None:
            return
        parts, i = found
        born = self.desk.time - float(parts.age[i])
        dies = born + float(parts.life[i])
        y = self.height() - 30.0
        a, b = self.x_of(born), self.x_of(dies)
        p.setPen(QPen(QColor(theme.TEXT), 2))
        p.drawLine(QPointF(max(a, 2.0), y), QPointF(min(b, self.width() - 2.0), y))
        p.setBrush(QColor(theme.TEXT))
        p.drawEllipse(QPointF(a, y), 4, 4)
        p.drawLine(QPointF(b, y - 6), QPointF(b, y + 6))
        p.setFont(theme.figures_font(11))
        p.setPen(QColor(theme.SOFT))
        at = self.pointer if self.pointer is not None and born <= self.pointer <= dies else self.desk.time
        share = (at - born) / max(dies - born, 1e-9)
        words = Message(
            "particle {number}: born {born:.2f} s, lives {life:.2f} s",
            number=int(parts.number[i]),
            born=born,
            life=float(parts.life[i]),
        )
        p.drawText(
            QRectF(LEFT, y + 8, self.width() - 2 * LEFT, 18),
            Qt.AlignmentFlag.AlignLeft,
            tr(words + Message("   ·   at {at:.2f} s:  ", at=at) + values_at(emitter, share)),
        )

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self.desk.play(False)
        self.desk.go_to(self.time_at(event.position().x()))

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        self.pointer = self.time_at(event.position().x())
        if event.buttons() & Qt.MouseButton.LeftButton:
            self.desk.go_to(self.pointer)
        self.update()

    def leaveEvent(self, event: object) -> None:
        self.pointer = None
        self.update()

    def keyPressEvent(self, event: QKeyEvent) -> None:
        keys = {Qt.Key.Key_Left: -1, Qt.Key.Key_Right: 1, Qt.Key.Key_PageUp: -10, Qt.Key.Key_PageDown: 10}
        if event.key() in keys:
            self.desk.step(keys[Qt.Key(event.key())])
        elif event.key() == Qt.Key.Key_Home:
            self.desk.go_to(self.desk.span[0])
        elif event.key() in (Qt.Key.Key_Up, Qt.Key.Key_Down):
            self.desk.next_particle(1 if event.key() == Qt.Key.Key_Down else -1)
        else:
            super().keyPressEvent(event)


def values_at(emitter: Emitter, share: float) -> str:
    """What the lanes say at a share of a life."""
    rows = []
    for lane in lanes_of(emitter):
        value = getattr(emitter.life, lane.key)
        if lane.key != "tint":
            rows.append(
                Message("{title} {at:.2f}", title=InSentence(lane.title), at=float(value.at(min(max(share, 0.0), 1.0))))
            )
    return joined(", ", rows or ["nothing changes over its life"])


class ClockPage(QWidget):
    """The tray's page of the clock: buttons, time line, figures of the chosen particle."""

    def __init__(self, session: Session, desk: PlaybackController) -> None:
        super().__init__()
        self.session, self.desk = session, desk
        column = QVBoxLayout(self)
        column.setContentsMargins(12, 0, 12, 8)
        column.setSpacing(4)
        row = QHBoxLayout()
        row.setSpacing(4)
        self.start = theme.tool("begin", "Back to the beginning, and what was fired is gone   (Shift+H)")
        self.start.clicked.connect(self.restart)
        self.back = theme.tool("backward", "One step back: a sixtieth of a second   (,)")
        self.back.clicked.connect(lambda: desk.step(-1))
        self.run = theme.tool("run", "Play or rest   (H)")
        self.run.clicked.connect(lambda: desk.play(not desk.playing))
        self.on = theme.tool("onward", "One step on: a sixtieth of a second   (.)")
        self.on.clicked.connect(lambda: desk.step(1))
        self.loop = theme.tool("again", "Again and again, or once", checkable=True)
        self.loop.setChecked(True)
        self.loop.clicked.connect(self._loops)
        self.fire = theme.tool(
            "fire",
            "A click on the stage fires the chosen effect there, once   (G); before the camera   (X)",
            checkable=True,
        )
        self.fire.clicked.connect(self.set_firing)
        for button in (self.start, self.back, self.run, self.on, self.loop, self.fire):
            row.addWidget(button)
        self.time = QLabel()
        self.time.setFont(theme.figures_font(13))
        self.time.setFixedWidth(74)
        row.addSpacing(6)
        row.addWidget(self.time)
        self.speed: QComboBox = QuietCombo()
        self.speed.setAccessibleName(tr("Speed of the clock"))
        self.speed.addItems([tr(w) for w in SPEEDS])
        self.speed.activated.connect(lambda i: setattr(desk, "speed", list(SPEEDS.values())[i]))
        row.addWidget(self.speed)
        row.addSpacing(8)
        row.addWidget(self._words("to"))
        self.end_bar = Bar(0.5, 30.0, (0.1, 3600.0), whole=False, unit="s", log=True, default=6.0)
        self.end_bar.setAccessibleName(tr("Clock runs to"))
        self.end_bar.setFixedWidth(84)
        self.end_bar.changed.connect(lambda v: desk.set_span(0.0, v))
        row.addWidget(self.end_bar)
        row.addSpacing(8)
        row.addWidget(self._words("seed"))
        self.seed = Bar(1, 100, (0, 2**31 - 1), whole=True, unit="", log=False, default=1)
        self.seed.setAccessibleName(tr("Seed of the effect"))
        self.seed.setFixedWidth(64)
        self.seed.changed.connect(self._seeded)
        self.seed.released.connect(session.end_merge)
        row.addWidget(self.seed)
        row.addStretch()
        self.figures = QLabel()
        self.figures.setObjectName("figure")
        row.addWidget(self.figures)
        column.addLayout(row)
        self.line = Line(session, desk)
        column.addWidget(self.line, 1)
        for signal in (desk.ticked, desk.told, desk.followed, session.changed):
            signal.connect(self.refresh)
        self.refresh()

    @staticmethod
    def _words(text: str) -> QLabel:
        made = QLabel(tr(text))
        made.setObjectName("soft")
        return made

    def restart(self) -> None:
        """Back to the beginning."""
        self.desk.fired = []
        self.desk.go_to(self.desk.span[0])

    def set_firing(self, on: bool) -> None:
        """Let clicks on the stage fire the chosen effect, or not."""
        self.desk.firing = on and self.session.doc.effect(self.desk.effect_id) is not None
        self.desk.told.emit()

    def _loops(self, on: bool) -> None:
        self.desk.loops = on

    def _seeded(self, value: float) -> None:
        key = self.desk.effect_id
        if self.session.doc.effect(key) is not None:
            self.session.apply(
                "Change the seed", lambda d: edits.set_effect(d, key, seed=int(value)), Message("seed {key}", key=key)
            )

    def refresh(self) -> None:
        """Show the clock as it is."""
        d = self.desk
        self.fire.setChecked(d.firing)
        self.run.setIcon(theme.icon("rest" if d.playing else "run"))
        self.time.setText(tr(Message("{time:.2f} s", time=d.time)))
        self.end_bar.value = d.span[1]
        self.end_bar.update()
        effect = d.effect
        enable(self.seed, effect is not None, "There is no effect yet")
        found = self.session.doc.effect(d.effect_id)
        self.seed.value = float(found.seed) if found is not None else 1.0
        self.seed.update()
        if effect is None:
            self.figures.setText(tr("No effect yet: begin one at Motion. Sheets on the stage play as well."))
            return
        end = gone_at(effect)
        lasts = "runs for ever" if np.isinf(end) else Message("gone after {end:.2f} s", end=end)
        shot = Message(" · {count} fired", count=len(d.fired)) if d.fired else ""
        self.figures.setText(
            tr(
                Message(
                    "{name} · {count} particles · {lasts}{shot}",
                    name=effect.name,
                    count=d.count,
                    lasts=term(lasts),
                    shot=term(shot),
                )
            )
        )

"""The light of the stage in the window: a dial to drag, and its settings."""

import math
from collections.abc import Callable

from PySide6.QtCore import QEvent, QObject, QPoint, QPointF, Qt
from PySide6.QtGui import QColor, QMouseEvent, QPainter, QPaintEvent, QPen, QWheelEvent
from PySide6.QtWidgets import QFrame, QLabel, QVBoxLayout, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message
from mivex.core.project import edits
from mivex.core.project.document import Document
from mivex.core.stage.lights import ENVIRONMENTS, Lighting
from mivex.core.stage.placements_model import Around
from mivex.ui import theme
from mivex.ui.fields.fields import Field, FileField
from mivex.ui.fields.forms import field_for
from mivex.ui.session.session import Session

SIDE = 46


class LightDial(QWidget):
    """The sky over the stage, seen from above: the lamp is a dot to drag; the rim turns the environment.

    The middle is straight overhead, the rim the horizon; down is towards the usual camera.
    """

    def __init__(self, session: Session) -> None:
        super().__init__()
        self.session = session
        self.setFixedSize(SIDE, SIDE)
        self.setToolTip(tr("Light: drag the dot to move the lamp, the rim or the wheel to turn what is mirrored."))
        self.setAccessibleName(tr("Light dial"))
        self._turning: tuple[float, float] | None = None
        session.changed.connect(self.update)

    @property
    def _lighting(self) -> Lighting:
        return self.session.doc.lighting

    def lamp_at(self) -> QPointF:
        """Where the lamp's dot stands."""
        light = self._lighting
        r = (1 - light.lamp_height / 90) * (SIDE / 2 - 9)
        t = math.radians(light.lamp_turn)
        return QPointF(SIDE / 2 + r * math.sin(t), SIDE / 2 + r * math.cos(t))

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        c, r = QPointF(SIDE / 2, SIDE / 2), SIDE / 2 - 3
        p.setPen(QPen(QColor(theme.SOFT), 1))
        p.setBrush(QColor("#202020"))
        p.drawEllipse(c, r, r)
        p.setPen(QPen(QColor("#5a5a5a"), 1))
        p.setBrush(Qt.BrushStyle.NoBrush)
        p.drawEllipse(c, r - 6, r - 6)
        for k in range(12):
            t = math.radians(self._lighting.turn + 30 * k)
            a = QPointF(math.sin(t), math.cos(t))
            p.setPen(QPen(QColor("#f0f0f0" if k == 0 else "#8a8a8a"), 2 if k == 0 else 1))
            p.drawLine(c + a * (r - 5), c + a * (r - 1))
        on = self._lighting.lamp > 0
        p.setPen(QPen(QColor("#101010"), 1))
        p.setBrush(QColor("#ffffff" if on else "#606060"))
        p.drawEllipse(self.lamp_at(), 4, 4)

    def _apply(self, label: str, **values: float) -> None:
        self.session.apply(label, lambda d: edits.set_lighting(d, **values), merge=f"light {' '.join(values)}")

    def mousePressEvent(self, event: QMouseEvent) -> None:
        at = event.position() - QPointF(SIDE / 2, SIDE / 2)
        on_rim = math.hypot(at.x(), at.y()) > SIDE / 2 - 9
        self._turning = (math.degrees(math.atan2(at.x(), at.y())), self._lighting.turn) if on_rim else None
        self.mouseMoveEvent(event)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if not event.buttons():
            return
        at = event.position() - QPointF(SIDE / 2, SIDE / 2)
        angle = math.degrees(math.atan2(at.x(), at.y()))
        if self._turning is not None:
            turn = (self._turning[1] + angle - self._turning[0] + 180) % 360 - 180
            self._apply("Turn the environment", turn=round(turn, 1))
            return
        share = min(math.hypot(at.x(), at.y()) / (SIDE / 2 - 9), 1.0)
        self._apply("Move the lamp", lamp_turn=round(angle, 1), lamp_height=round(min(max(90 * (1 - share), 2), 90), 1))

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        self._turning = None
        self.session.end_merge()

    def wheelEvent(self, event: QWheelEvent) -> None:
        turn = (self._lighting.turn + event.angleDelta().y() / 120 * 5 + 180) % 360 - 180
        self._apply("Turn the environment", turn=round(turn, 1))


class LightPanel(QFrame):
    """Every setting of the light, in a panel that opens under its button."""

    def __init__(self, session: Session, parent: QWidget, choose_file: Callable[[str], str]) -> None:
        super().__init__(parent, Qt.WindowType.Popup)
        self.session = session
        self.setObjectName("popup")
        self.setFixedWidth(310)
        column = QVBoxLayout(self)
        column.setContentsMargins(12, 10, 10, 12)
        column.setSpacing(4)
        title = QLabel(tr("Light and surroundings"))
        title.setObjectName("title")
        column.addWidget(title)
        self.fields: list[Field] = []
        for key in Lighting.model_fields:
            self._add(
                column,
                field_for(Lighting, key, lambda k=key: getattr(self.session.doc.lighting, k)),  # type: ignore[misc]
                key,
                edits.set_lighting,
            )
        around = QLabel(tr("Surroundings"))
        around.setObjectName("section")
        column.addSpacing(6)
        column.addWidget(around)

        def choose() -> str:
            self.hide()  # a popup would swallow the dialogue's clicks
            return choose_file("mesh")

        self._add(column, field_for(Around, "person", lambda: self.session.doc.around.person), "person", edits.set_around)
        budget = field_for(Document, "overdraw", lambda: self.session.doc.overdraw)
        self._add(column, budget, "overdraw", edits.set_overdraw)
        mesh = FileField(
            "Mesh", "OBJ, PLY or glTF in place of the dock; empty: the dock.", lambda: self.session.doc.around.path, choose
        )
        mesh.line.setPlaceholderText(tr("The dock"))
        self._add(column, mesh, "path", edits.set_around)
        for key in ("scale", "turn", "grey", "rough"):
            self._add(
                column,
                field_for(Around, key, lambda k=key: getattr(self.session.doc.around, k)),  # type: ignore[misc]
                key,
                edits.set_around,
            )
        self.says = QLabel()
        self.says.setObjectName("soft")
        self.says.setWordWrap(True)
        self.says.setMinimumHeight(50)
        self.says.setAlignment(Qt.AlignmentFlag.AlignTop)
        column.addWidget(self.says)
        session.changed.connect(self.refresh)
        self.refresh()

    def _add(self, column: QVBoxLayout, f: Field, key: str, edit: Callable[..., Document]) -> None:
        f.edited.connect(
            lambda v: self.session.apply(
                Message("Change {name}", name=InSentence(f.name)), lambda d: edit(d, **{key: v}), f"{edit.__name__} {key}"
            )
        )
        f.released.connect(self.session.end_merge)
        f.installEventFilter(self)
        column.addWidget(f)
        self.fields.append(f)

    def eventFilter(self, watched: QObject, event: QEvent) -> bool:
        if event.type() == QEvent.Type.Enter and isinstance(watched, Field):
            self.says.setText(tr(watched.hint))
        return super().eventFilter(watched, event)

    def refresh(self) -> None:
        """Show what the document holds."""
        dock = not self.session.doc.around.path
        for f in self.fields:
            f.refresh()
        for f in self.fields[-4:]:
            f.setVisible(not dock)
        self.adjustSize()
        self.says.setText(tr(ENVIRONMENTS[self.session.doc.lighting.environment][1]))

    def open_under(self, button: QWidget) -> None:
        """Show it below a button, inside the screen."""
        self.adjustSize()
        at = button.mapToGlobal(QPoint(button.width() - self.width(), button.height() + 2))
        self.move(max(0, at.x()), max(0, at.y()))
        self.show()

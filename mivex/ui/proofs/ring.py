"""The ring: the scene from above, and round it how wrong the drawing order is from every side."""

import math

from PySide6.QtCore import QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QColor, QMouseEvent, QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QWidget

from mivex.core.advice.order import Proposal
from mivex.core.base.languages import tr
from mivex.core.project.document import Document
from mivex.core.stage.camera import Camera
from mivex.ui import theme

WORST = 4.0
"""Mean error at which the band is at its brightest."""


def _tone(error: float) -> QColor:
    """Grey where the order holds, the hue of findings where it does not."""
    if error < 0.01:
        return QColor("#565656")
    t = min((error / WORST) ** 0.5, 1.0)
    a, b = QColor("#6b6250"), QColor(theme.FINDING)
    return QColor(
        *(
            round(x + (y - x) * t)
            for x, y in zip((a.red(), a.green(), a.blue()), (b.red(), b.green(), b.blue()), strict=True)
        )
    )


class Ring(QWidget):
    """Shows a proposal's cameras; a drag turns the stage's camera.

    Signals
    -------
    turned(yaw)
    """

    turned = Signal(float)

    def __init__(self) -> None:
        super().__init__()
        self.doc: Document | None = None
        self.found: Proposal | None = None
        self.camera: Camera | None = None
        self.setMinimumSize(170, 150)
        self.setMouseTracking(True)
        self.setAccessibleName(tr("Ring of cameras"))
        self.setToolTip(
            tr("The scene from above. Inner band: the order as it is; outer band: as proposed. Drag to look from there.")
        )

    def show_state(self, doc: Document, found: Proposal | None, camera: Camera) -> None:
        """Show another document, proposal or camera."""
        self.doc, self.found, self.camera = doc, found, camera
        self.update()

    def _frame(self) -> tuple[QPointF, float]:
        side = min(self.width(), self.height())
        return QPointF(self.width() / 2, self.height() / 2), side / 2 - 6

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        c, r = self._frame()
        p.setBrush(QColor("#262626"))
        p.setPen(Qt.PenStyle.NoPen)
        p.drawEllipse(c, r, r)
        rows = [] if self.found is None else [w for w in self.found.wrong if w[0].name.startswith("Ring ")]
        for camera, before, after in rows:
            span = 360 / len(rows)
            # Yaw 0 looks from below in this picture, as the dock is seen.
            middle = camera.yaw - 90
            for k, error in ((0, before), (1, after)):
                far = r - 14 + 8 * k
                p.setPen(QPen(_tone(error), 6.5, Qt.PenStyle.SolidLine, Qt.PenCapStyle.FlatCap))
                p.drawArc(
                    QRectF(c.x() - far, c.y() - far, 2 * far, 2 * far),
                    round((middle - span / 2 + 1) * 16),
                    round((span - 2) * 16),
                )
        if self.doc is None or self.camera is None:
            return
        spots = [(q.at[0], q.at[2], o.id) for o in self.doc.overlays if o.shown for q in o.places if hasattr(q, "at")]
        # As in the core: the ring goes round the middle of what is placed.
        mx, mz = self.camera.target[0], self.camera.target[2]
        reach = max([abs(x - mx) for x, _, _ in spots] + [abs(z - mz) for _, z, _ in spots] + [1.0])
        scale = (r - 26) / reach / 1.15
        apart = {i for c in (self.found.unsettled if self.found else ()) for i in c.overlays}
        for x, z, owner in spots:
            at = QPointF(c.x() + (x - mx) * scale, c.y() + (z - mz) * scale)
            p.setPen(QPen(QColor(theme.FINDING if owner in apart else theme.SOFT), 1.4))
            p.setBrush(QColor("#3c3c3c"))
            p.drawRect(QRectF(at.x() - 3, at.y() - 3, 6, 6))
        for camera in self.doc.cameras:
            self._eye(p, c, r - 24, camera.yaw, named=True)
        self._eye(p, c, r - 24, self.camera.yaw, named=False)

    @staticmethod
    def _eye(p: QPainter, c: QPointF, r: float, yaw: float, *, named: bool) -> None:
        t = math.radians(yaw)
        at = QPointF(c.x() + r * math.sin(t), c.y() + r * math.cos(t))
        if named:
            p.setPen(QPen(QColor(theme.SOFT), 1.2))
            p.setBrush(Qt.BrushStyle.NoBrush)
            p.drawEllipse(at, 3, 3)
            return
        for colour, width in ((theme.CASING, 4.0), (theme.CHOSEN, 1.6)):
            p.setPen(QPen(QColor(colour), width))
            p.drawLine(at, QPointF(c.x() + (r + 22) * math.sin(t), c.y() + (r + 22) * math.cos(t)))

    def _turn(self, event: QMouseEvent) -> None:
        c, _ = self._frame()
        d = event.position() - c
        self.turned.emit(math.degrees(math.atan2(d.x(), d.y())))

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self._turn(event)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if event.buttons() & Qt.MouseButton.LeftButton:
            self._turn(event)

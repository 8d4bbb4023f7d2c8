"""The track: the selected overlay's stations in working order."""

from PySide6.QtCore import QPointF, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QColor, QFont, QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QAbstractButton, QButtonGroup, QHBoxLayout, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, joined, term
from mivex.core.findings import CHECKS, Finding
from mivex.core.project.document import Overlay
from mivex.ui import theme
from mivex.ui.fields.labels import enable
from mivex.ui.stations import STATIONS


def station_of(finding: Finding) -> str:
    """The station at which a finding is mended."""
    return CHECKS[finding.id].station


class Stop(QAbstractButton):
    """The button of one station on the track."""

    def __init__(self, key: str, number: int) -> None:
        super().__init__()
        self.key = key
        self.setText(tr(STATIONS[key].title))
        self.setCheckable(True)
        self.setAccessibleName(tr(STATIONS[key].title))
        # There is no key “10”: the tenth station has 0, as on the keyboard.
        self.setToolTip(tr(Message("{title}   (Alt+{number})", title=term(STATIONS[key].title), number=number % 10)))
        self.setShortcut(f"Alt+{number % 10}")
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setCursor(Qt.CursorShape.PointingHandCursor)
        self.used, self.count = False, 0

    def sizeHint(self) -> QSize:
        return QSize(100, 46)

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        y, x = 15.0, self.width() / 2
        on = self.isChecked()
        p.setPen(QPen(QColor(theme.LINE), 2))
        p.drawLine(QPointF(0, y), QPointF(self.width(), y))
        r = 6.0 if on else 5.0
        p.setPen(QPen(QColor(theme.CHOSEN if on else theme.SOFT if self.used else theme.EDGE), 2))
        p.setBrush(QColor((theme.CHOSEN if on else theme.SOFT) if self.used else theme.GROUND))
        p.drawEllipse(QPointF(x, y), r, r)
        p.setFont(theme.figures_font(12, QFont.Weight.DemiBold if on else QFont.Weight.Normal))
        p.setPen(QColor(theme.TEXT if on or self.underMouse() else theme.SOFT))
        p.drawText(QRectF(0, 25, self.width(), 18), Qt.AlignmentFlag.AlignCenter, self.text())
        if self.count:
            box = QRectF(x + 11, y - 8, 17, 16)
            p.setPen(Qt.PenStyle.NoPen)
            p.setBrush(QColor(theme.FINDING))
            p.drawRoundedRect(box, 3, 3)
            p.setPen(QColor(theme.ON_LIGHT))
            p.setFont(theme.figures_font(11, QFont.Weight.DemiBold))
            p.drawText(box, Qt.AlignmentFlag.AlignCenter, str(self.count))
        if self.hasFocus():
            p.setBrush(Qt.BrushStyle.NoBrush)
            p.setPen(QPen(QColor(theme.EDGE), 1))
            p.drawRoundedRect(QRectF(self.rect()).adjusted(3, 1.5, -3, -1.5), 3, 3)


class Track(QWidget):
    """All stations in a row; `went` tells which was chosen."""

    went = Signal(str)

    def __init__(self) -> None:
        super().__init__()
        self.setObjectName("track")
        row = QHBoxLayout(self)
        row.setContentsMargins(0, 2, 0, 2)
        row.setSpacing(0)
        group = QButtonGroup(self)
        self.stops: dict[str, Stop] = {}
        for number, key in enumerate(STATIONS, 1):
            stop = Stop(key, number)
            stop.clicked.connect(lambda _=False, k=key: self.went.emit(k))  # type: ignore[misc]
            group.addButton(stop)
            row.addWidget(stop)
            self.stops[key] = stop

    def show_state(self, overlay: Overlay | None, station: str, findings: list[Finding]) -> None:
        """Show where we are, what has been touched, and where findings wait."""
        for key, stop in self.stops.items():
            before = stop.isEnabled(), stop.isChecked(), stop.used, stop.count
            enable(stop, overlay is not None, "Add an overlay first")
            stop.setChecked(key == station)
            stop.used = overlay is not None and STATIONS[key].touched(overlay)
            stop.count = sum(station_of(f) == key for f in findings)
            words = [STATIONS[key].title, "touched" if stop.used else "untouched"]
            words += [Message("{count} findings", count=stop.count)] if stop.count else []
            if before != (stop.isEnabled(), stop.isChecked(), stop.used, stop.count):
                stop.setAccessibleDescription(tr(joined(", ", words)))
                stop.update()

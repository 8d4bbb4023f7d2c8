"""A short tour of the demo: each stop shows one thing in the window itself, and can be left at any time."""

from collections.abc import Callable
from dataclasses import dataclass

from PySide6.QtCore import QEvent, QObject, QPoint, QRect, QSettings, Qt, QTimer, Signal
from PySide6.QtGui import QColor, QKeySequence, QPaintEvent, QPen, QShortcut
from PySide6.QtWidgets import QFrame, QHBoxLayout, QPushButton, QVBoxLayout, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message
from mivex.core.stage.camera import Camera
from mivex.ui import theme
from mivex.ui.fields.labels import label
from mivex.ui.shell.following import Following

WIDE, GAP = 336, 12
"""Width of the card, and what lies between it and what it tells of, pixels."""


@dataclass(frozen=True)
class Stop:
    """One stop of the tour.

    Attributes
    ----------
    title, words : str
    at : callable
        The part of the window that it tells of.
    show : callable
        Brings the window there; nothing in the project changes.
    """

    title: str
    words: str
    at: Callable[[Following], QWidget]
    show: Callable[[Following], object] = lambda _w: None


def _overlay(w: Following, key: str, station: str, arrangement: str = "both") -> None:
    w.stage.see_as("colour")
    w.flat.set_layout("single")
    w.flat.canvas.set_view(show="over", backdrop="checker")
    w.session.choose(key)
    w.go(station)
    w.arrange(arrangement)


def _fault(w: Following) -> None:
    _overlay(w, "bubble_black", "edges")
    w.tray.show_page("findings")
    row = next((k for k, f in enumerate(w.tray.found) if f.id == "matte"), None)
    if row is not None:
        w.tray.list.setCurrentRow(row)


def _far(w: Following) -> None:
    w.tray.show_page("findings")
    w.flat.set_layout("far")


def _order(w: Following) -> None:
    _overlay(w, "plume", "blend", "stage")
    w.stage.canvas.look(Camera(name="Near", target=(1.9, 1.5, 0.2), yaw=14.0, pitch=9.0, distance=3.0))
    w.stage.see_as("order")
    w.tray.show_page("ledger")


def _motion(w: Following) -> None:
    _overlay(w, "bubbles_sheet", "motion")
    w.stage.canvas.look(next(iter(w.session.doc.cameras)))
    w.desk.choose("vent")
    w.desk.play(True)


def _deliver(w: Following) -> None:
    w.desk.play(False)
    w.tray.show_page("findings")
    _overlay(w, "porthole", "deliver")


STOPS: tuple[Stop, ...] = (
    Stop(
        "What there is",
        "The rack holds every overlay of the project. A mark at the right says how many findings one has. Choose "
        "one, and everything else shows that one.",
        lambda w: w.rack,
        lambda w: _overlay(w, "porthole", "source"),
    ),
    Stop(
        "The texture alone",
        "The flat proof shows the texture over any backdrop, texel by texel. Rest the pointer on it to read what "
        "is stored; turn the wheel to come near; B takes the next backdrop.",
        lambda w: w.flat,
    ),
    Stop(
        "From left to right",
        "An overlay follows the track: what it is made of, its alpha, its edges, its blend, where it stands, how "
        "it moves, how it leaves. A ring means touched, a number means findings.",
        lambda w: w.track,
    ),
    Stop(
        "Settings of one station",
        "Only what belongs to the station stands here. Hover over a setting, and the line below says what it "
        "changes in the picture.",
        lambda w: w.controls,
        lambda w: _overlay(w, "mote", "alpha"),
    ),
    Stop(
        "A fault, and its repair",
        "This bubble was cut from black. The tray says how much is wrong, where, and what it does on screen. The "
        "button mends it; Ctrl+Z takes that back; “More about it …” explains it.",
        lambda w: w.tray,
        _fault,
    ),
    Stop(
        "Seen from afar",
        "The same overlay at every distance, as sampled and as it should be, and the difference of both. Faults "
        "that only show in the game show here.",
        lambda w: w.flat,
        _far,
    ),
    Stop(
        "Layers",
        "A row is a layer, a column a channel. Patterns, paint and ready builds lie over each other; masks say "
        "where. Hover over a column to see that channel alone.",
        lambda w: w.controls,
        lambda w: _overlay(w, "porthole", "layers"),
    ),
    Stop(
        "Blend, and prove the order",
        "Bright means drawn in the wrong order. Point anywhere, and the ledger lists every fragment of that "
        "pixel, why it was drawn or not, and the exact order beside it.",
        lambda w: w.stage,
        _order,
    ),
    Stop(
        "A life, drawn",
        "At Motion the chart shows one particle's life from birth to death, a lane for each thing that changes. "
        "Drag its points; H plays and rests.",
        lambda w: w.left,
        _motion,
    ),
    Stop(
        "Deliver, and take in again",
        "Channels flow into files; a click feeds one from elsewhere. What is delivered is read back, and the "
        "intake shows what a receiver will make of it. That is the way. The rest is yours to try: Ctrl+Z takes "
        "back everything.",
        lambda w: w.left,
        _deliver,
    ),
)
"""The stops, in their order; they need the demo's overlays."""


class _Frame(QWidget):
    """A line round what a stop tells of; the mouse does not notice it."""

    def __init__(self, parent: QWidget) -> None:
        super().__init__(parent)
        self.setAttribute(Qt.WidgetAttribute.WA_TransparentForMouseEvents)

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        for tone, inset, width in ((theme.CASING, 0, 1), (theme.CHOSEN, 1, 2), (theme.CASING, 3, 1)):
            p.setPen(QPen(QColor(tone), width))
            p.drawRect(self.rect().adjusted(inset, inset, -inset - 1, -inset - 1))


class Tour(QFrame):
    """The card with the words of a stop, beside what they tell of.

    Signals
    -------
    left()
        It is over, at its end or before.
    """

    left = Signal()

    def __init__(self, window: Following) -> None:
        super().__init__(window)
        self.window_, self.number = window, 0
        self.setObjectName("popup")
        self.setFixedWidth(WIDE)
        self.setAccessibleName(tr("Tour"))
        self.frame = _Frame(window)
        self.column = column = QVBoxLayout(self)
        column.setContentsMargins(16, 12, 16, 12)
        column.setSpacing(8)
        self.title = label("", "title", wrap=True)
        self.words = label("", "", wrap=True)
        column.addWidget(self.title)
        column.addWidget(self.words)
        row = QHBoxLayout()
        row.setSpacing(6)
        self.count = label("", "figure")
        row.addWidget(self.count)
        row.addStretch()
        self.leave = QPushButton(tr("Leave"))
        self.back = QPushButton(tr("Back"))
        self.next = QPushButton(tr("Next"))
        self.next.setObjectName("main")
        for button, run in (
            (self.leave, self.end),
            (self.back, lambda: self.go(self.number - 1)),
            (self.next, lambda: self.go(self.number + 1)),
        ):
            button.clicked.connect(lambda _=False, r=run: r())  # type: ignore[misc]
            row.addWidget(button)
        column.addLayout(row)
        self._escape = QShortcut(QKeySequence(Qt.Key.Key_Escape), self)
        self._escape.setContext(Qt.ShortcutContext.WidgetWithChildrenShortcut)
        self._escape.activated.connect(self.end)
        # What is laid out anew moves; the card follows once that has happened.
        self._settle = QTimer(self, singleShot=True, interval=0)
        self._settle.timeout.connect(self.place)
        window.installEventFilter(self)
        self.hide()
        self.frame.hide()

    def go(self, number: int) -> None:
        """Go to a stop; past the last the tour ends."""
        if number >= len(STOPS):
            self.end()
            return
        self.number = max(0, number)
        stop = STOPS[self.number]
        stop.show(self.window_)
        self.title.setText(tr(stop.title))
        self.words.setText(tr(stop.words))
        self.count.setText(tr(Message("{number} of {count}", number=self.number + 1, count=len(STOPS))))
        self.back.setEnabled(self.number > 0)
        last = self.number + 1 == len(STOPS)
        self.next.setText(tr("Done" if last else "Next"))
        self.leave.setVisible(not last)
        self.show()
        self.frame.show()
        self.next.setFocus()
        self.place()
        self._settle.start()

    def place(self) -> None:
        """Lay the frame round what the stop tells of, and the card beside it."""
        if not self.isVisible():
            return
        part = STOPS[self.number].at(self.window_)
        box = QRect(part.mapTo(self.window_, QPoint(0, 0)), part.size()).intersected(self.window_.rect())
        self.frame.setGeometry(box)
        high = self.column.totalHeightForWidth(WIDE)
        self.resize(WIDE, high)
        room = self.window_.rect().adjusted(GAP, GAP, -GAP, -GAP)
        places = (
            QPoint(box.right() + GAP, box.top() + GAP),
            QPoint(box.left() - GAP - WIDE, box.top() + GAP),
            QPoint(box.left() + GAP, box.bottom() + GAP),
            QPoint(box.right() - GAP - WIDE, box.top() - GAP - high),
            QPoint(box.right() - GAP - WIDE, box.bottom() - GAP - high),
        )
        at = next((p for p in places if room.contains(QRect(p, self.size()))), places[-1])
        self.move(min(max(at.x(), room.left()), room.right() - WIDE), min(max(at.y(), room.top()), room.bottom() - high))
        self.frame.raise_()
        self.raise_()

    def end(self) -> None:
        """Leave the tour; the window stays as it is."""
        QSettings("mivex", "mivex").setValue("tour", "taken")
        self.window_.removeEventFilter(self)
        self.window_.desk.play(False)
        self.window_.stage.see_as("colour")
        self.frame.hide()
        self.frame.deleteLater()
        self.hide()
        self.deleteLater()
        self.left.emit()

    def eventFilter(self, _watched: QObject, event: QEvent) -> bool:
        if event.type() in (QEvent.Type.Resize, QEvent.Type.LayoutRequest):
            self._settle.start()
        return False

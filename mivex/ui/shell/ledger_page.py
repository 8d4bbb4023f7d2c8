"""The tray's page for the ledger: the pixel under the pointer or the pinned one, and a second one to compare."""

from typing import Any

from PySide6.QtCore import QTimer, Signal
from PySide6.QtWidgets import QHBoxLayout, QLabel, QPushButton, QVBoxLayout, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term
from mivex.core.stage.ledger import FragmentQuery
from mivex.core.stage.pixel_history import FragmentRecord, PixelHistory
from mivex.ui import theme
from mivex.ui.fields.labels import enable
from mivex.ui.proofs.ledger import FULL, SHORT, LedgerTable, shade
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session


class LedgerPage(QWidget):
    """Accounts of pixels of the stage.

    Signals
    -------
    lit(overlay id)
        The pointer is over a line of that overlay; empty: no longer.
    """

    lit = Signal(str)

    def __init__(self, session: Session, engine: Engine) -> None:
        super().__init__()
        self.session, self.engine = session, engine
        self.stage: Any = None
        """The stage's canvas, once the window has one."""
        self.account: PixelHistory | None = None
        self.other: PixelHistory | None = None
        self.off: dict[tuple[str, str], str] = {}
        self.compare = False
        self._book: tuple[object, FragmentQuery] | None = None
        self._at: tuple[int, int] | None = None
        self.worker = session.workers.latest("ledger")
        self.worker.done.connect(self._take)
        self._soon = QTimer(self, singleShot=True, interval=25)
        self._soon.timeout.connect(self._ask)
        head = QHBoxLayout()
        head.setContentsMargins(12, 0, 12, 2)
        self.where = QLabel()
        self.where.setObjectName("soft")
        self.where.setFont(theme.figures_font())
        head.addWidget(self.where, 1)
        self.pin = QPushButton(tr("Pin this pixel"))
        self.pin.setCheckable(True)
        self.pin.setToolTip(tr("The account stays at this pixel while settings change, and the pointer is free   (Y)"))
        self.pin.toggled.connect(lambda _on: self._pinned())
        self.both = QPushButton(tr("Compare with the pointer"))
        self.both.setCheckable(True)
        self.both.setToolTip(tr("Beside the pinned pixel stands the one under the pointer, in the order set"))
        self.both.toggled.connect(self._compare)
        enable(self.both, False, "Pin a pixel first")
        head.addWidget(self.pin)
        head.addSpacing(8)
        head.addWidget(self.both)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        column.addLayout(head)
        tables = QHBoxLayout()
        tables.setContentsMargins(8, 0, 8, 4)
        tables.setSpacing(12)
        self.set = LedgerTable("Fragments in the order set", FULL)
        self.exact = LedgerTable("Fragments in exact order", SHORT)
        tables.addWidget(self.set, 5)
        tables.addWidget(self.exact, 3)
        column.addLayout(tables, 1)
        for table in (self.set, self.exact):
            table.chosen.connect(self._choose)
            table.switched.connect(self.switch)
            table.pointed.connect(lambda line: self.lit.emit(line.owner if line is not None else ""))
        session.changed.connect(self.refresh)
        engine.prepared.connect(lambda _k: self.refresh())
        self._say()

    @property
    def pinned(self) -> bool:
        """A pixel is pinned."""
        return self.pin.isChecked()

    @property
    def asking(self) -> bool:
        """A pixel is about to be asked for."""
        return self._soon.isActive()

    def point(self, x: float, y: float) -> None:
        """The pointer is over a pixel of the stage."""
        at = int(x), int(y)
        if self.stage is None or not (0 <= at[0] < self.stage.width() and 0 <= at[1] < self.stage.height()):
            return
        if not self.pinned or self.compare:
            self._at = at
            self._soon.start()

    def refresh(self) -> None:
        """The document, the camera or the size has changed."""
        if self.isVisible() and (self._at is not None or self.pinned):
            self._soon.start()

    def showEvent(self, event: Any) -> None:
        super().showEvent(event)
        self.refresh()

    def _pixel(self) -> tuple[int, int] | None:
        s = self.stage
        if s is None or s.pinned is None:
            return None
        return min(int(s.pinned[0] * s.width()), s.width() - 1), min(int(s.pinned[1] * s.height()), s.height() - 1)

    def _ask(self) -> None:
        if self.stage is None:
            return
        # As the stage shows it: an effect's part alone, and what has been fired.
        seen = self.engine.snapshot(self.stage.desk.shown(self.session.doc))
        view, off = self.stage.view, tuple(self.off)
        key = seen.key, view
        first = self._pixel() if self.pinned else self._at
        second = self._at if self.pinned and self.compare else None

        def work(_report: object, _stopped: object) -> tuple[PixelHistory | None, PixelHistory | None]:
            if self._book is None or self._book[0] != key:
                self._book = key, FragmentQuery(seen.draws(view), view, seen.doc.lighting)
            book = self._book[1]
            one, two = (None if at is None else book.account(*at, off) for at in (first, second))
            return one, two

        self.worker.ask(None, work)

    def _take(self, _token: object, found: object) -> None:
        self.account, self.other = found  # type: ignore[misc]
        gain = 2.0**self.session.doc.lighting.exposure
        gone = tuple((name, *key) for key, name in self.off.items())
        self.set.show_lines(self.account, "set", gone, gain)
        if self.compare:
            self.exact.show_lines(self.other, "set", (), gain)
        else:
            self.exact.show_lines(self.account, "exact", (), gain)
        self._say()

    def _say(self) -> None:
        a = self.account
        enable(self.pin, self.pinned or a is not None, "Point at a pixel of the stage first")
        enable(self.both, self.pinned, "Pin a pixel first")
        if a is None:
            self.where.setText(tr("Point at a pixel of the stage: every fragment that reaches it is listed here."))
            return
        end, other = a.end(), self.other.end() if self.compare and self.other is not None else a.end("exact")
        x, y = shade(end, self.set.gain), shade(other, self.set.gain)
        apart = max(abs(x.red() - y.red()), abs(x.green() - y.green()), abs(x.blue() - y.blue()))
        if self.compare and self.other is not None:
            beside: str = Message(
                "right: pixel {pixel}, {pixel2}, differs by {apart} of 255",
                pixel=self.other.pixel[0],
                pixel2=self.other.pixel[1],
                apart=apart,
            )
        else:
            beside = "right: exact order, " + (
                Message("differs by {apart} of 255", apart=apart) if apart else term("the same")
            )
        less = Message("   ·   {count} switched off", count=len(self.off)) if self.off else ""
        self.where.setText(
            tr(
                Message(
                    "pixel {pixel}, {pixel2}   ·   left: order set   ·   {beside}{less}",
                    pixel=a.pixel[0],
                    pixel2=a.pixel[1],
                    beside=term(beside),
                    less=term(less),
                )
            )
        )

    def _pinned(self) -> None:
        s = self.stage
        if s is not None:
            at = self._at
            s.pinned = ((at[0] + 0.5) / s.width(), (at[1] + 0.5) / s.height()) if self.pinned and at is not None else None
            s.update()
        self.pin.setText(tr("Pinned" if self.pinned else "Pin this pixel"))
        if not self.pinned:
            self.both.setChecked(False)
        self._say()
        self.refresh()

    def _compare(self, on: bool) -> None:
        self.compare = on
        self.refresh()

    def _choose(self, line: FragmentRecord) -> None:
        o = self.session.doc.overlay(line.owner)
        if o is not None:
            place = o.places[int(line.part) - 1].id if line.part.isdigit() and int(line.part) <= len(o.places) else ""
            self.session.choose(line.owner, place)

    def switch(self, key: tuple[str, str]) -> None:
        """Leave a placement out of the accounts, to see what it gives; or take it in again."""
        if key in self.off:
            del self.off[key]
        else:
            line = next((r for r in (*self.set.lines, *self.exact.lines) if (r.owner, r.part) == key), None)
            self.off[key] = line.name if line is not None else key[0]
        self._soon.start()

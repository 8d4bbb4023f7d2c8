"""The ledger: every fragment of a pixel as a line, in the order set and in exact order beside it."""

from dataclasses import dataclass

import numpy as np
from PySide6.QtCore import QRectF, Qt, Signal
from PySide6.QtGui import QColor, QFont, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen, QWheelEvent
from PySide6.QtWidgets import QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, joined, term
from mivex.core.pixels.colour import to_display
from mivex.core.stage.pixel_history import DRAWN, FragmentRecord, PixelHistory, Rgba
from mivex.ui import theme

ROW, HEAD = 22, 20


def shade(rgba: Rgba, gain: float = 1.0) -> QColor:
    """A linear colour as it is displayed."""
    codes = to_display(np.clip(np.array(rgba[:3], np.float32) * np.float32(gain), 0, 1)) * 255 + 0.5
    return QColor(*(int(min(max(v, 0), 255)) for v in codes))


def spoken_name(line: FragmentRecord) -> str:
    """What a line is called: an overlay by its name, a part of the surroundings in the language in use."""
    return line.name if line.owner else tr(line.name)


@dataclass(frozen=True)
class _Column:
    """A column: its head, width in pixels (0: the rest), and what stands in it."""

    title: str
    width: int
    kind: str


FULL = (
    _Column("", 26, "number"),
    _Column("Overlay", 128, "name"),
    _Column("Depth", 54, "depth"),
    _Column("Level", 40, "level"),
    _Column("Colour · alpha", 84, "colour"),
    _Column("Factors", 70, "factors"),
    _Column("After", 50, "after"),
    _Column("", 0, "verdict"),
)
SHORT = (
    _Column("", 26, "number"),
    _Column("Overlay", 128, "name"),
    _Column("Depth", 54, "depth"),
    _Column("Colour · alpha", 84, "colour"),
    _Column("After", 50, "after"),
    _Column("", 0, "mark"),
)


class LedgerTable(QWidget):
    """The lines of one order.

    Signals
    -------
    chosen(line)
        A line was clicked.
    switched(line)
        A line's number was clicked: switch its placement off, or on again.
    pointed(line)
        The pointer is over a line; None: over none.
    """

    chosen = Signal(object)
    switched = Signal(object)
    pointed = Signal(object)

    takes_keys = True

    def __init__(self, name: str, columns: tuple[_Column, ...]) -> None:
        super().__init__()
        self.columns = columns
        self.lines: tuple[FragmentRecord, ...] = ()
        self.gone: tuple[tuple[str, str, str], ...] = ()
        """Switched off: name, overlay, placement; each stays as a line, so that it can be switched on again."""
        self.elsewhere: frozenset[int] = frozenset()
        self.at = 0
        self.hover = -1
        self.current = 0
        self.gain = 1.0
        self.setMouseTracking(True)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setAccessibleName(tr(name))

    def show_lines(
        self, account: PixelHistory | None, order: str, gone: tuple[tuple[str, str, str], ...], gain: float
    ) -> None:
        """Show the lines of an account."""
        self.lines = () if account is None else account.set if order == "set" else account.exact
        self.elsewhere = frozenset() if account is None else account.elsewhere
        self.gone, self.gain = gone, gain
        self.at = min(self.at, max(0, self.count - self.room))
        self.setAccessibleDescription(
            tr(
                joined(
                    "; ", (Message("{name}: {verdict}", name=spoken_name(r), verdict=term(r.verdict)) for r in self.lines)
                )
            )
        )
        self.update()

    @property
    def count(self) -> int:
        """Lines there are, those switched off included."""
        return len(self.lines) + len(self.gone)

    @property
    def room(self) -> int:
        """Number of lines that can be seen at once."""
        return max(1, (self.height() - HEAD) // ROW)

    def line_at(self, y: float) -> int:
        """Number of the line under a height; −1: none."""
        k = int((y - HEAD) // ROW) + self.at
        return k if y >= HEAD and k < self.count else -1

    def _spans(self) -> list[tuple[_Column, float, float]]:
        rest = self.width() - sum(c.width for c in self.columns) - 8
        x, rows = 4.0, []
        for c in self.columns:
            w = float(c.width or max(rest, 0))
            rows.append((c, x, w))
            x += w
        return rows

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        small = theme.figures_font(11)
        p.setFont(small)
        spans = self._spans()
        for c, x, w in spans:
            p.setPen(QColor(theme.FAINT))
            p.drawText(QRectF(x, 0, w, HEAD), Qt.AlignmentFlag.AlignVCenter, tr(c.title))
        for k in range(self.at, min(self.count, self.at + self.room)):
            y = HEAD + (k - self.at) * ROW
            if k == self.hover or (k == self.current and self.hasFocus()):
                p.fillRect(QRectF(0, y, self.width(), ROW), QColor(theme.RAISED))
            if k >= len(self.lines):
                p.setPen(QColor(theme.FAINT))
                p.drawText(QRectF(spans[0][1], y, 24, ROW), Qt.AlignmentFlag.AlignCenter, "○")
                name, _, part = self.gone[k - len(self.lines)]
                p.drawText(
                    QRectF(spans[1][1], y, self.width(), ROW),
                    Qt.AlignmentFlag.AlignVCenter,
                    tr(Message("{name} {part}   switched off: click its ring", name=name, part=term(part))),
                )
                continue
            for c, x, w in spans:
                self._cell(p, self.lines[k], c.kind, QRectF(x, y, w, ROW), k)
        if self.count > self.at + self.room or self.at:
            p.setPen(QColor(theme.FAINT))
            p.drawText(
                QRectF(0, 0, self.width() - 8, HEAD),
                Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter,
                tr(
                    Message(
                        "{at}–{count} of {count2}",
                        at=self.at + 1,
                        count=min(self.count, self.at + self.room),
                        count2=self.count,
                    )
                ),
            )

    def _cell(self, p: QPainter, line: FragmentRecord, kind: str, box: QRectF, k: int) -> None:
        quiet = line.code != DRAWN
        moved = line.face in self.elsewhere and not quiet
        p.setPen(QColor(theme.FAINT if quiet else theme.TEXT))
        left = Qt.AlignmentFlag.AlignVCenter
        if kind == "number":
            p.drawText(box.adjusted(0, 0, -2, 0), Qt.AlignmentFlag.AlignCenter, str(k + 1))
        elif kind == "name":
            part = f" {line.part}" if line.part not in ("", "1") else ""
            whose = spoken_name(line)
            font = p.font()
            if line.owner:
                p.setFont(theme.figures_font(11, QFont.Weight.DemiBold))
            words = p.fontMetrics().elidedText(whose + part, Qt.TextElideMode.ElideRight, int(box.width()) - 6)
            p.drawText(box, left, words)
            p.setFont(font)
        elif kind == "depth":
            p.drawText(box, left, tr(Message("{depth:.2f} m", depth=line.depth)))
        elif kind == "level":
            p.drawText(box, left, tr(Message("{level:.1f}", level=line.level)))
        elif kind == "colour":
            self._swatch(p, box, line.colour)
            p.drawText(
                box.adjusted(38, 0, 0, 0),
                left,
                tr(Message("{colour:.2f}", colour=line.colour[3]) if line.blend != "Solid" else "–"),
            )
        elif kind == "factors":
            p.drawText(box, left, ", ".join(line.factors).replace("-", "−"))
        elif kind == "after" and not quiet:
            self._swatch(p, box, line.after)
        elif kind == "verdict":
            words = term(line.verdict) + ("   stands elsewhere in exact order" if moved else "")
            p.setPen(QColor(theme.FINDING if moved else theme.FAINT if quiet else theme.SOFT))
            p.drawText(box, left, p.fontMetrics().elidedText(tr(words), Qt.TextElideMode.ElideRight, int(box.width())))
        elif kind == "mark" and moved:
            p.setPen(QColor(theme.FINDING))
            p.drawText(box, left, "←")

    def _swatch(self, p: QPainter, box: QRectF, rgba: Rgba) -> None:
        r = QRectF(box.left(), box.top() + 3, 32, ROW - 6)
        p.fillRect(r, shade(rgba, self.gain))
        pen = p.pen()
        p.setPen(QPen(QColor(theme.LINE), 1))
        p.drawRect(r)
        p.setPen(pen)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        k = self.line_at(event.position().y())
        if k != self.hover:
            self.hover = k
            self.pointed.emit(self.lines[k] if 0 <= k < len(self.lines) else None)
            self.update()
            line = self.lines[k] if 0 <= k < len(self.lines) else None
            self.setToolTip(
                tr(
                    ""
                    if line is None
                    else Message(
                        "{group}, nudge {nudge:+d}, {blend}; texel {texel:.3f}, {texel2:.3f}; {verdict}",
                        group=term(line.group),
                        nudge=line.nudge,
                        blend=term(line.blend),
                        texel=line.texel[0],
                        texel2=line.texel[1],
                        verdict=term(line.verdict),
                    )
                )
            )

    def leaveEvent(self, _event: object) -> None:
        self.hover = -1
        self.pointed.emit(None)
        self.update()

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self._press(self.line_at(event.position().y()), number=event.position().x() < self.columns[0].width + 4)

    def _press(self, k: int, *, number: bool) -> None:
        if k < 0:
            return
        self.current = k
        if k >= len(self.lines):
            _, owner, part = self.gone[k - len(self.lines)]
            self.switched.emit((owner, part))
        elif self.lines[k].owner:
            line = self.lines[k]
            if number:
                self.switched.emit((line.owner, line.part))
            else:
                self.chosen.emit(line)
        self.update()

    def keyPressEvent(self, event: QKeyEvent) -> None:
        keys = {Qt.Key.Key_Up: -1, Qt.Key.Key_Down: 1}
        if event.key() in keys and self.count:
            self.current = min(max(self.current + keys[Qt.Key(event.key())], 0), self.count - 1)
            self.at = min(max(self.at, self.current - self.room + 1), self.current)
            self.update()
        elif event.key() in (Qt.Key.Key_Return, Qt.Key.Key_Space):
            self._press(self.current if self.count else -1, number=event.key() == Qt.Key.Key_Space)
        else:
            super().keyPressEvent(event)

    def wheelEvent(self, event: QWheelEvent) -> None:
        step = -1 if event.angleDelta().y() > 0 else 1
        self.at = min(max(self.at + step, 0), max(0, self.count - self.room))
        self.update()

"""The stack as a table: a row for each layer, a column for each channel, the mask in front.

A cell that is touched shows its value and the mark of how it joins; an untouched one shows, faintly and without a
frame, what shines through from below.
"""

from dataclasses import dataclass

from PySide6.QtCore import QEvent, QPointF, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QColor, QFont, QImage, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QToolTip, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import InSentence, Message, term
from mivex.core.layers.channels import CHANNELS, TABLE
from mivex.core.layers.model import JOINS, MARKS, Group, Layer, Stack, walk
from mivex.ui import theme
from mivex.ui.fields.line import Held

HEAD, CELL, ROW = 20, 26, 32
NAME, MASK, GAP, WIDE = 112, 36, 4, 35
"""Width of the names, of a mask, of the gap behind it, and of a channel's column."""
MOST = 9
"""Lines that are seen at once; of more the table is scrolled."""
SHORT = {"mask": "Mask"} | {k: c.head for k, c in TABLE.items()}
INDENT = 9


@dataclass(frozen=True)
class Line:
    """A line of the table: a row of the stack and how deep it lies; None: the base."""

    row: Layer | Group | None
    depth: int


def lines_of(stack: Stack, turned: frozenset[str] = frozenset(), chosen: str = "") -> list[Line]:
    """Lines from the top down, the base last.

    Groups made from a build are folded, others open; those in ``turned`` the other way round. What holds the chosen row
    is open.
    """
    out: list[Line] = []

    def put(rows: tuple[Layer | Group, ...], depth: int) -> None:
        for r in reversed(rows):
            out.append(Line(r, depth))
            if isinstance(r, Group) and (bool(r.build) == (r.id in turned) or any(x.id == chosen for x in walk(r.rows))):
                put(r.rows, depth + 1)

    put(stack.rows, 0)
    return [*out, Line(None, 0)]


class StackTable(QWidget):
    """The table itself.

    Signals
    -------
    chosen(row, column)
        A cell was pressed; column ``row`` is the name.
    switched(row, on)
        A row's dot was pressed.
    touched(row, channel)
        An untouched cell was double-clicked: it shall be touched.
    moved(row, by)
        A row was dragged past so many others (up counts above zero).
    put_in(row, group)
        A row was dropped on a group's line.
    looked(column)
        The pointer rests on a column's head; empty: no longer.
    held(column)
        A column's head was pressed: its channel stays in the proof.
    removed(row)
    folded()
        A group was folded or opened.
    """

    chosen = Signal(str, str)
    switched = Signal(str, bool)
    touched = Signal(str, str)
    moved = Signal(str, int)
    put_in = Signal(str, str)
    looked = Signal(str)
    held = Signal(str)
    removed = Signal(str)
    folded = Signal()
    takes_keys = True
    _press = Held()

    def __init__(self) -> None:
        super().__init__()
        self.stack = Stack()
        self.lines: list[Line] = []
        self.row_id, self.column, self.holding = "", "row", ""
        self.pictures: dict[tuple[str, str], QImage] = {}
        self.missing: set[tuple[str, str]] = set()
        self.turned: set[str] = set()
        self._drop: float | None = None
        self._over = ""
        self.setMouseTracking(True)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setAccessibleName(tr("Layers: a row for each, a column for each channel"))
        self.put(self.stack)

    def put(self, stack: Stack) -> None:
        """Show a stack."""
        self.stack, self.lines = stack, lines_of(stack, frozenset(self.turned), self.row_id)
        self.setFixedHeight(HEAD + ROW * len(self.lines) + 2)
        self.update()

    def sizeHint(self) -> QSize:
        return QSize(NAME + MASK + GAP + len(CHANNELS) * WIDE, self.height())

    # Where things are ------------------------------------------------------------------------------------------------

    def _columns(self) -> list[tuple[str, float, float]]:
        left = self.width() - MASK - GAP - len(CHANNELS) * WIDE
        return [("mask", left, MASK), *((c, left + MASK + GAP + i * WIDE, WIDE - 4) for i, c in enumerate(CHANNELS))]

    def cell_box(self, row_id: str, column: str) -> QRectF:
        """Where a cell lies."""
        at = next(i for i, x in enumerate(self.lines) if (x.row.id if x.row else "") == row_id)
        x, w = next((x, w) for c, x, w in self._columns() if c == column)
        return QRectF(x, HEAD + at * ROW + 3, w, CELL)

    def _hit(self, at: QPointF) -> tuple[Line | None, str]:
        """Line and column under a place; column ``head:…``, ``dot``, ``row`` or a cell's."""
        column = next((c for c, x, w in self._columns() if x - 1 <= at.x() < x + w + 2), "row")
        if at.y() < HEAD:
            return None, f"head:{column}"
        i = int((at.y() - HEAD) // ROW)
        if i >= len(self.lines):
            return None, ""
        line = self.lines[i]
        if column == "row" and line.row is not None and at.x() < 18 + line.depth * INDENT:
            return line, "dot"
        return line, column

    # Painting ----------------------------------------------------------------------------------------------------------

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        p.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform)
        columns = self._columns()
        for c, x, w in columns:
            on = self.holding == c or (self._over == f"head:{c}")
            p.setPen(QColor(theme.TEXT if on else theme.SOFT))
            box, said = QRectF(x - 2, 0, w + 4, HEAD - 3), tr(SHORT[c])
            for size in (10, 9, 8):  # a longer word is written smaller before it is cut
                p.setFont(theme.figures_font(size, QFont.Weight.DemiBold if on else QFont.Weight.Normal))
                if p.fontMetrics().horizontalAdvance(said) <= box.width():
                    break
            p.drawText(
                box,
                Qt.AlignmentFlag.AlignCenter,
                p.fontMetrics().elidedText(said, Qt.TextElideMode.ElideRight, round(box.width())),
            )
            if self.holding == c:
                p.setPen(QPen(QColor(theme.CHOSEN), 2))
                p.drawLine(QPointF(x + 2, HEAD - 2), QPointF(x + w - 2, HEAD - 2))
        for i, line in enumerate(self.lines):
            self._paint_line(p, line, HEAD + i * ROW, columns)
        if self._drop is not None:
            p.setPen(QPen(QColor(theme.CHOSEN), 2))
            p.drawLine(QPointF(4, self._drop), QPointF(self.width() - 4, self._drop))
        if self.hasFocus():
            p.setBrush(Qt.BrushStyle.NoBrush)
            p.setPen(QPen(QColor(theme.EDGE), 1))
            p.drawRect(QRectF(self.rect()).adjusted(0.5, 0.5, -0.5, -0.5))

    def _paint_line(self, p: QPainter, line: Line, y: float, columns: list[tuple[str, float, float]]) -> None:
        row = line.row
        key = row.id if row else ""
        lit = key == self.row_id and (row is not None or self.column != "row" or self.row_id == "")
        chosen = lit and (row is not None)
        if chosen:
            p.fillRect(QRectF(0, y, self.width(), ROW), QColor(theme.RAISED))
        p.setPen(QPen(QColor(theme.LINE), 1))
        p.drawLine(QPointF(2, y + ROW - 0.5), QPointF(self.width() - 2, y + ROW - 0.5))
        x = 9.0 + line.depth * INDENT
        if row is not None:
            p.setPen(QPen(QColor(theme.SOFT), 1.3))
            p.setBrush(QColor(theme.SOFT) if row.on else Qt.BrushStyle.NoBrush)
            p.drawEllipse(QPointF(x - 1, y + ROW / 2), 3.6, 3.6)
        name = (row.name if row is not None else "") or tr(
            "Base" if row is None else "Group" if isinstance(row, Group) else "Layer"
        )
        on = row is None or row.on
        p.setFont(theme.figures_font(12, QFont.Weight.DemiBold if isinstance(row, Group) else QFont.Weight.Normal))
        p.setPen(QColor(theme.TEXT if on else theme.FAINT))
        words = Message("{strength:.0%}", strength=row.strength) if row is not None and row.strength < 1 else ""
        if not words and isinstance(row, Group) and not any(x.row is r for x in self.lines for r in row.rows):
            words = f"+{len(row.rows)}"
        room = columns[0][1] - x - 13 - (30 if words else 0)
        box, middle = QRectF(x + 8, y, room, ROW - 1), Qt.AlignmentFlag.AlignVCenter
        if p.fontMetrics().horizontalAdvance(name) <= room:
            p.drawText(box, middle, name)
        else:  # a long one takes two lines of smaller letters; what is still too long is told by the hint
            p.setFont(theme.figures_font(10))
            shown = p.fontMetrics().elidedText(name, Qt.TextElideMode.ElideRight, int(room * 2 - 14))
            wrapped = Qt.TextFlag.TextWordWrap if " " in name else Qt.TextFlag.TextWrapAnywhere
            p.drawText(box, int(middle) | int(wrapped), shown)
        if words:
            p.setFont(theme.figures_font(11))
            p.setPen(QColor(theme.SOFT))
            where = QRectF(columns[0][1] - 38, y, 32, ROW - 1)
            p.drawText(where, Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight, tr(words))
        for c, cx, w in columns:
            self._paint_cell(p, row, c, QRectF(cx, y + 3, w, CELL), on)

    def _paint_cell(self, p: QPainter, row: Layer | Group | None, column: str, box: QRectF, on: bool) -> None:
        key = row.id if row else ""
        if row is None and column == "mask":
            return
        touched = row is None or (column == "mask" and bool(row.mask.parts)) or column in row.channels
        picture = self.pictures.get((key, column if touched else f"below:{column}"))
        p.setOpacity(1.0 if on else 0.45)
        if touched:
            if picture is not None:
                p.drawImage(box, picture)
            else:
                p.fillRect(box, QColor(theme.FIELD))
            p.setBrush(Qt.BrushStyle.NoBrush)
            p.setPen(QPen(QColor(theme.CASING), 1))
            p.drawRect(box)
            if isinstance(row, Layer) and column in row.cells:
                cell = row.cells[column]  # type: ignore[index]
                if (key, column) in self.missing:
                    p.setPen(QColor(theme.FINDING))
                    p.setFont(theme.figures_font(13, QFont.Weight.DemiBold))
                    p.drawText(box, Qt.AlignmentFlag.AlignCenter, "?")
                if cell.join != "towards":
                    tag = QRectF(box.right() - 12, box.bottom() - 12, 12, 12)
                    p.fillRect(tag, QColor(theme.CASING))
                    p.setPen(QColor(theme.TEXT))
                    p.setFont(theme.figures_font(10, QFont.Weight.DemiBold))
                    p.drawText(tag, Qt.AlignmentFlag.AlignCenter, tr(MARKS[cell.join]))
        elif column != "mask" and picture is not None:
            p.setOpacity(0.22)
            p.drawImage(box.adjusted(6, 5, -6, -5), picture)
        elif column == "mask":
            p.setPen(QColor(theme.FAINT))
            p.setFont(theme.figures_font(10))
            p.drawText(box, Qt.AlignmentFlag.AlignCenter, tr(term("all")))
        p.setOpacity(1.0)
        if key == self.row_id and column == self.column and row is not None:
            p.setBrush(Qt.BrushStyle.NoBrush)
            for colour, pen in ((theme.CASING, 3.5), (theme.CHOSEN, 1.6)):
                p.setPen(QPen(QColor(colour), pen))
                p.drawRect(box.adjusted(-0.5, -0.5, 0.5, 0.5))

    # The mouse and the keys ----------------------------------------------------------------------------------------------

    def mousePressEvent(self, event: QMouseEvent) -> None:
        line, column = self._hit(event.position())
        if column.startswith("head:"):
            name = column[5:]
            self.held.emit("" if name in (self.holding, "row") else name)
            return
        if line is None or line.row is None:
            self.chosen.emit("", "row")
            return
        if column == "dot":
            self.switched.emit(line.row.id, not line.row.on)
            return
        self._press = event.position(), line.row.id
        self.chosen.emit(line.row.id, column)

    def fold(self, group_id: str) -> None:
        """Fold a group, or open it."""
        self.turned ^= {group_id}
        self.folded.emit()

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        line, column = self._hit(event.position())
        if line is not None and isinstance(line.row, Group) and column == "row":
            self.fold(line.row.id)
            return
        if line is not None and line.row is not None and column not in ("row", "dot"):
            self.touched.emit(line.row.id, column)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        at = event.position()
        if self._press is not None and event.buttons() & Qt.MouseButton.LeftButton:
            if abs(at.y() - self._press[0].y()) > 8:
                self._drop = HEAD + round((at.y() - HEAD) / ROW) * ROW
                self._drop = min(max(self._drop, HEAD), HEAD + ROW * (len(self.lines) - 1))
                self.update()
            return
        line, column = self._hit(at)
        over = column if column.startswith("head:") else ""
        if over != self._over:
            self._over = over
            self.looked.emit(over[5:] if over and over != "head:row" else "")
            self.update()
        self.setToolTip(tr(self._words(line, column)))

    def _words(self, line: Line | None, column: str) -> str:
        if column.startswith("head:"):
            name = column[5:]
            if name == "mask":
                return "The chosen layer's mask in the flat proof; press to keep it there."
            return (
                Message("{channels} alone in the flat proof; press to keep it there.", channels=term(CHANNELS[name]))
                if name in CHANNELS
                else ""
            )
        if line is None or line.row is None:
            return "What lies below every layer." if line is not None else ""
        row = line.row
        if column == "dot":
            return "Switch it off." if row.on else "Switch it on."
        if column == "mask":
            return (
                Message(
                    "Its mask: {count} part{ending}.",
                    count=len(row.mask.parts),
                    ending=term("" if len(row.mask.parts) == 1 else "s"),
                )
                if row.mask.parts
                else "No mask: it acts everywhere. Double-click to give it one."
            )
        if column in CHANNELS:
            if isinstance(row, Layer) and column in row.cells:
                return Message(
                    "{channels}: {joins}.", channels=term(CHANNELS[column]), joins=InSentence(JOINS[row.cells[column].join])
                )  # type: ignore[index]
            if column in row.channels:
                return Message("{channels}: touched by what is inside.", channels=term(CHANNELS[column]))
            return Message("{channels} is left alone. Double-click to touch it.", channels=term(CHANNELS[column]))
        name = Message("{name}. ", name=row.name) if row.name else ""
        return name + ("Double-click folds or opens it; drag to reorder." if isinstance(row, Group) else "Drag to reorder.")

    def mouseReleaseEvent(self, event: QMouseEvent) -> None:
        press, drop = self._press, self._drop
        self._press = self._drop = None
        if press is None or drop is None:
            return
        row_id = press[1]
        over = int(min(max((event.position().y() - HEAD) // ROW, 0), len(self.lines) - 1))
        y = (event.position().y() - HEAD) % ROW
        target = self.lines[over].row
        if isinstance(target, Group) and target.id != row_id and ROW * 0.3 < y < ROW * 0.9:
            self.put_in.emit(row_id, target.id)
        else:
            self._move_to(row_id, round((drop - HEAD) / ROW))
        self.update()

    def _move_to(self, row_id: str, before: int) -> None:
        """Move a row so that it stands above the line of that number, among the rows beside it."""
        beside = next((rows for rows in self._levels() if any(r.id == row_id for r in rows)), ())
        at = next(i for i, r in enumerate(beside) if r.id == row_id)
        below = [x.row.id for x in self.lines[before:] if x.row is not None]
        # It lands just above the first of its neighbours that lies below the mark.
        to = max((i for i, r in enumerate(beside) if r.id in below and r.id != row_id), default=-1) + 1
        by = (to if to <= at else to - 1) - at
        if by:
            self.moved.emit(row_id, by)

    def _levels(self) -> list[tuple[Layer | Group, ...]]:
        out = [self.stack.rows]
        out += [r.rows for r in self.stack.walk() if isinstance(r, Group)]
        return out

    def leaveEvent(self, _event: QEvent) -> None:
        if self._over:
            self._over = ""
            self.looked.emit("")
            self.update()
        QToolTip.hideText()

    def keyPressEvent(self, event: QKeyEvent) -> None:
        ids = [x.row.id for x in self.lines if x.row is not None]
        names = ["row", "mask", *CHANNELS]
        at = ids.index(self.row_id) if self.row_id in ids else -1
        key, ctrl = event.key(), bool(event.modifiers() & Qt.KeyboardModifier.ControlModifier)
        if key in (Qt.Key.Key_Up, Qt.Key.Key_Down) and ids:
            way = 1 if key == Qt.Key.Key_Up else -1
            if ctrl and at >= 0:
                self.moved.emit(self.row_id, way)
            else:
                self.chosen.emit(ids[min(max(at - way, 0), len(ids) - 1)], self.column)
        elif key in (Qt.Key.Key_Left, Qt.Key.Key_Right) and at >= 0:
            i = names.index(self.column) + (1 if key == Qt.Key.Key_Right else -1)
            self.chosen.emit(self.row_id, names[min(max(i, 0), len(names) - 1)])
        elif key == Qt.Key.Key_Space and at >= 0:
            row = self.stack.row(self.row_id)
            self.switched.emit(self.row_id, not (row is not None and row.on))
        elif key in (Qt.Key.Key_Return, Qt.Key.Key_Enter) and isinstance(self.stack.row(self.row_id), Group):
            self.fold(self.row_id)
        elif key in (Qt.Key.Key_Return, Qt.Key.Key_Enter) and at >= 0 and self.column != "row":
            self.touched.emit(self.row_id, self.column)
        elif key == Qt.Key.Key_Delete and at >= 0:
            self.removed.emit(self.row_id)
        else:
            super().keyPressEvent(event)

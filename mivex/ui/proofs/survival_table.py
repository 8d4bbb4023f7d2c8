"""Tables of a delivery: what was read back, and which switches each overlay survives."""

from collections.abc import Sequence

from PySide6.QtCore import Qt
from PySide6.QtGui import QColor, QFont
from PySide6.QtWidgets import QAbstractItemView, QHeaderView, QTableWidget, QTableWidgetItem

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term
from mivex.core.deliver.compared import Compared
from mivex.core.intake.compare import HOLDS, Row
from mivex.core.intake.switches import SWITCHES
from mivex.ui import theme

SHORT = {
    "own-mips": "Mips",
    "no-encoding": "Flag",
    "green": "Green",
    "smaller": "Size",
    "blocks": "Block",
    "display": "Displ.",
    "opaque": "Solid",
}
_STYLE = f"""
QTableWidget {{ background: {theme.PANEL}; border: none; gridline-color: {theme.LINE}; }}
QTableWidget::item {{ padding: 0 2px; }}
QTableWidget::item:selected {{ background: {theme.EDGE}; color: {theme.TEXT}; }}
QHeaderView::section {{ background: {theme.GROUND}; color: {theme.SOFT}; border: none; padding: 3px 2px;
    font-size: 11px; }}
QTableCornerButton::section {{ background: {theme.GROUND}; border: none; }}
"""


class Table(QTableWidget):
    """A table to be read, not edited."""

    def __init__(self, heads: Sequence[str], name: str) -> None:
        super().__init__(0, len(heads))
        self.setHorizontalHeaderLabels(list(heads))
        self.setAccessibleName(tr(name))
        self.setStyleSheet(_STYLE)
        self.verticalHeader().hide()
        self.verticalHeader().setDefaultSectionSize(22)
        self.setEditTriggers(QAbstractItemView.EditTrigger.NoEditTriggers)
        self.setSelectionBehavior(QAbstractItemView.SelectionBehavior.SelectRows)
        self.setShowGrid(False)
        self.setWordWrap(False)
        self.setTextElideMode(Qt.TextElideMode.ElideMiddle)  # what a file is called ends in what it holds
        self.horizontalHeader().setSectionResizeMode(QHeaderView.ResizeMode.ResizeToContents)
        self.horizontalHeader().setSectionResizeMode(0, QHeaderView.ResizeMode.Stretch)
        self.horizontalHeader().setMinimumSectionSize(30)
        self.horizontalHeader().setDefaultAlignment(Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter)

    def put(
        self,
        row: int,
        column: int,
        text: str,
        *,
        number: bool = False,
        bad: bool = False,
        tip: str = "",
        head: bool = False,
    ) -> None:
        """Fill a cell; ``bad`` marks what is a finding, by weight as well as by hue, ``head`` what stands over others."""
        item = QTableWidgetItem(tr(text))
        item.setToolTip(tr(tip or text))
        if number:
            item.setTextAlignment(Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter)
            item.setFont(theme.figures_font(12, QFont.Weight.DemiBold if bad else QFont.Weight.Normal))
        if head:
            item.setFont(theme.figures_font(12, QFont.Weight.DemiBold))
        if bad:
            item.setForeground(QColor(theme.FINDING))
        self.setItem(row, column, item)


class SurvivalTable(Table):
    """One figure for each overlay under each switch."""

    def __init__(self) -> None:
        super().__init__(["Overlay", *(SHORT[s.key] for s in SWITCHES)], "What survives each switch")
        for k, s in enumerate(SWITCHES, 1):
            head = self.horizontalHeaderItem(k)
            if head is not None:
                head.setToolTip(tr(Message("{title}: {hint}", title=term(s.title), hint=term(s.hint))))
        self._rows: Sequence[Row] = ()

    def show_rows(self, rows: Sequence[Row]) -> None:
        """Show what was tried."""
        if rows is self._rows:
            return
        self._rows = rows
        self.setRowCount(len(rows))
        for k, r in enumerate(rows):
            self.put(k, 0, r.overlay)
            for j, s in enumerate(SWITCHES, 1):
                if s.key not in r.figures:
                    self.put(k, j, "–", number=True, tip="No camera sees it.")
                    continue
                v = r.figures[s.key]
                said = "looks as it did" if r.survives(s.key) else Message("differs by more than {holds:g}", holds=HOLDS)
                self.put(
                    k,
                    j,
                    f"{v:.0f}" if r.survives(s.key) else f"{v:.0f} !",
                    number=True,
                    bad=not r.survives(s.key),
                    tip=Message(
                        "{title}: 99 % of its pixels differ by at most {v:.0f} of 255; it {said}.",
                        title=term(s.title),
                        v=v,
                        said=term(said),
                    ),
                )


class ReadBackTable(Table):
    """Every delivered channel, read again and compared; under the whole name of each file."""

    def __init__(self) -> None:
        super().__init__(["Channel", "From", "Holds", "Levels", "Off by"], "Read back")
        self.horizontalHeader().setSectionResizeMode(0, QHeaderView.ResizeMode.ResizeToContents)
        self.horizontalHeader().setSectionResizeMode(1, QHeaderView.ResizeMode.Stretch)
        self._rows: Sequence[Compared] = ()

    def show_rows(self, rows: Sequence[Compared]) -> None:
        """Show what came back."""
        if rows is self._rows:
            return
        self._rows = rows
        self.clearSpans()
        self.setRowCount(len(rows) + len({c.file for c in rows}))
        last, k = "", 0
        for c in rows:
            if c.file != last:
                last = c.file
                self.put(
                    k,
                    0,
                    c.file,
                    tip=Message("{file}, of “{overlay}”", file=c.file, overlay=c.overlay)
                    + ("" if c.back.fresh else "; unchanged, it was left alone"),
                    head=True,
                )
                self.setSpan(k, 0, 1, self.columnCount())
                k += 1
            self.put(k, 0, c.channel.capitalize())
            self.put(k, 1, c.source)
            self.put(k, 2, Message("{low:.2f}–{high:.2f}", low=c.low, high=c.high), number=True)
            self.put(k, 3, str(c.back.levels), number=True)
            self.put(k, 4, Message("{difference:g}", difference=c.difference), number=True, bad=c.difference > 0)
            k += 1

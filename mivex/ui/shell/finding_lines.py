"""How a finding is drawn in the tray's list."""

from PySide6.QtCore import QModelIndex, QPersistentModelIndex, QRect, QSize, Qt
from PySide6.QtGui import QColor, QFont, QFontMetrics, QPainter
from PySide6.QtWidgets import (
    QStyle,
    QStyledItemDelegate,
    QStyleOptionViewItem,
)

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term, verbatim
from mivex.core.findings import CHECKS
from mivex.ui import theme

Index = QModelIndex | QPersistentModelIndex


COLUMNS = (236, 146)
"""Widths of what a finding is and of its figure; the rest of a line says whose it is."""


FINDING = Qt.ItemDataRole.UserRole


class FindingLines(QStyledItemDelegate):
    """Draws a finding's line: what, how much, whose. Only what is in sight costs anything, however many there are."""

    def sizeHint(self, _option: QStyleOptionViewItem, _index: Index) -> QSize:
        return QSize(100, 24)

    def paint(self, painter: QPainter, option: QStyleOptionViewItem, index: Index) -> None:
        super().paint(painter, option, index)  # the ground of the chosen line
        finding = index.data(FINDING)
        if finding is None:
            return
        box: QRect = option.rect.adjusted(12, 0, -12, 0)  # type: ignore[attr-defined]
        if isinstance(finding, str):  # the line that folds what is only possible
            painter.setPen(QColor(theme.SOFT))
            painter.drawText(box, Qt.AlignmentFlag.AlignVCenter, finding)
            return
        chosen = bool(option.state & QStyle.StateFlag.State_Selected)  # type: ignore[attr-defined]
        bold = theme.figures_font(12, QFont.Weight.DemiBold)
        plain = option.font  # type: ignore[attr-defined]
        rest = box.width() - sum(COLUMNS) - 10 * len(COLUMNS)
        left = box.left()
        counts = finding.certainty == "likely" and not finding.under
        title: str = CHECKS[finding.id].title
        if finding.under:
            title = Message("└ {title}", title=term(title))
        for text, width, font, colour in (
            (title, COLUMNS[0], plain, theme.CHOSEN if chosen else theme.TEXT if counts else theme.SOFT),
            (finding.words, COLUMNS[1], bold, theme.FINDING if counts else theme.SOFT),
            (verbatim(finding.subject), rest, plain, theme.SOFT),
        ):
            painter.setFont(font)
            painter.setPen(QColor(colour))
            shown = QFontMetrics(font).elidedText(tr(text), Qt.TextElideMode.ElideRight, max(width, 0))
            painter.drawText(
                QRect(left, box.top(), max(width, 0), box.height()),
                Qt.AlignmentFlag.AlignVCenter,
                shown,
            )
            left += width + 10

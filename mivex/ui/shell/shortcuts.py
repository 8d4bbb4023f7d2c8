"""The sheet of keys."""

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QDialog, QGridLayout, QHBoxLayout, QLabel, QLineEdit, QScrollArea, QVBoxLayout, QWidget

from mivex.core.base.languages import tr
from mivex.ui.shell.actions import sheet_rows

COLUMNS = 3
NAME, WIDE, APART = 112, 168, 30
"""Widths of a key, of what it does, and between columns, in pixels."""


class ShortcutSheet(QDialog):
    """All keys on one page, in three columns, with a line to search in; it scrolls where the screen is low."""

    def __init__(self, parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Keys"))
        column = QVBoxLayout(self)
        column.setContentsMargins(20, 14, 12, 14)
        self.search = QLineEdit()
        self.search.setPlaceholderText(tr("Search: a key, or what it does"))
        self.search.setAccessibleName(tr("Search the keys"))
        self.search.setClearButtonEnabled(True)
        self.search.textChanged.connect(self._show)
        column.addWidget(self.search)
        self.area = QScrollArea()
        self.area.setWidgetResizable(True)
        self.area.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        column.addWidget(self.area, 1)
        room = parent.screen().availableGeometry()
        one = NAME + 14 + WIDE + APART
        self.columns = max(1, min(COLUMNS, (room.width() - 100) // one))
        self._show("")
        self.resize(self.columns * one + 48, min(820, room.height() - 60))

    def _show(self, wanted: str) -> None:
        """Only what holds every word that is searched for."""
        words = wanted.lower().split()
        sections = []
        for title, keys in sheet_rows():
            rows = [(k, w) for k, w in keys if all(x in f"{title} {k} {w}".lower() for x in words)]
            if rows:
                sections.append((title, rows))
        page = QWidget()
        beside = QHBoxLayout(page)
        beside.setContentsMargins(0, 8, 12, 4)
        beside.setSpacing(APART)
        total = sum(len(keys) + 2 for _, keys in sections)
        grid, row, used = self._column(beside), 0, 0
        for title, keys in sections:
            if used + len(keys) / 2 > total / self.columns * beside.count() and beside.count() < self.columns and used:
                grid.setRowStretch(row, 1)
                grid, row = self._column(beside), 0
            head = QLabel(tr(title))
            head.setObjectName("section")
            grid.addWidget(head, row, 0, 1, 2)
            row += 1
            for key, what in keys:
                name = QLabel(tr(key))
                name.setObjectName("key")
                name.setWordWrap(True)
                name.setFixedWidth(NAME)
                said = QLabel(tr(what))
                said.setWordWrap(True)
                said.setFixedWidth(WIDE)
                grid.addWidget(name, row, 0, Qt.AlignmentFlag.AlignTop)
                grid.addWidget(said, row, 1, Qt.AlignmentFlag.AlignTop)
                row += 1
            grid.setRowMinimumHeight(row, 8)
            row += 1
            used += len(keys) + 2
        if not sections:
            grid.addWidget(QLabel(tr("No key is called so.")), 0, 0)
        grid.setRowStretch(row + 1, 1)
        beside.addStretch()
        self.area.setWidget(page)

    @staticmethod
    def _column(beside: QHBoxLayout) -> QGridLayout:
        grid = QGridLayout()
        grid.setHorizontalSpacing(14)
        grid.setVerticalSpacing(4)
        beside.addLayout(grid)
        return grid

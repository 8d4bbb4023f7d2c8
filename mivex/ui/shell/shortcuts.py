"""The sheet of keys."""

from PySide6.QtWidgets import QDialog, QGridLayout, QHBoxLayout, QLabel, QWidget

from mivex.ui.shell.actions import sheet_rows


class ShortcutSheet(QDialog):
    """All keys on one page, in two columns."""

    def __init__(self, parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle("Keys")
        beside = QHBoxLayout(self)
        beside.setContentsMargins(20, 16, 24, 20)
        beside.setSpacing(36)
        sections = sheet_rows()
        total = sum(len(keys) + 2 for _, keys in sections)
        grid, row, used = QGridLayout(), 0, 0
        beside.addLayout(grid)
        for title, keys in sections:
            if used >= total / 2 and beside.count() == 1:
                grid.setRowStretch(row, 1)
                grid, row = QGridLayout(), 0
                beside.addLayout(grid)
            grid.setHorizontalSpacing(20)
            grid.setVerticalSpacing(4)
            head = QLabel(title)
            head.setObjectName("section")
            grid.addWidget(head, row, 0, 1, 2)
            row += 1
            for key, what in keys:
                label = QLabel(key)
                label.setObjectName("key")
                grid.addWidget(label, row, 0)
                grid.addWidget(QLabel(what), row, 1)
                row += 1
            grid.setRowMinimumHeight(row, 8)
            row += 1
            used += len(keys) + 2
        grid.setRowStretch(row, 1)

"""The list of a project's earlier saves."""

from PySide6.QtCore import QDateTime, QLocale, Qt
from PySide6.QtWidgets import QDialog, QDialogButtonBox, QListWidget, QListWidgetItem, QVBoxLayout, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term
from mivex.core.project.backups import Earlier
from mivex.ui.fields.labels import label


class EarlierSaves(QDialog):
    """Asks which earlier save is to be opened; what is on disk stays as it is until one saves."""

    def __init__(self, name: str, rows: list[Earlier], parent: QWidget | None = None) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Earlier saves"))
        self.rows = rows
        self.resize(420, 340)
        column = QVBoxLayout(self)
        column.setSpacing(8)
        column.addWidget(
            label(
                Message(
                    "Earlier saves of “{name}”. The one you choose is opened in place of the present "
                    "one; that stays on disk until you save.",
                    name=name,
                ),
                "soft",
                wrap=True,
            )
        )
        self.list = QListWidget()
        self.list.setAccessibleName(tr("Earlier saves"))
        locale = QLocale()
        for r in rows:
            when = QDateTime.fromSecsSinceEpoch(int(r.saved))
            words = locale.toString(when, QLocale.FormatType.ShortFormat)
            self.list.addItem(
                QListWidgetItem(tr(Message("{words}    {size} KB", words=term(words), size=max(r.size // 1024, 1))))
            )
        self.list.setCurrentRow(0)
        self.list.itemDoubleClicked.connect(lambda _i: self.accept())
        column.addWidget(self.list, 1)
        buttons = QDialogButtonBox()
        self.choose = buttons.addButton(tr("Open it"), QDialogButtonBox.ButtonRole.AcceptRole)
        buttons.addButton(tr("Cancel"), QDialogButtonBox.ButtonRole.RejectRole)
        buttons.accepted.connect(self.accept)
        buttons.rejected.connect(self.reject)
        column.addWidget(buttons)
        self.list.setFocus(Qt.FocusReason.OtherFocusReason)

    @property
    def chosen(self) -> Earlier | None:
        """The save that is chosen."""
        k = self.list.currentRow()
        return self.rows[k] if 0 <= k < len(self.rows) else None

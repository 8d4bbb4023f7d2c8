"""The first start after an installation: kernels are compiled, with progress, and the window follows."""

from PySide6.QtCore import Qt
from PySide6.QtGui import QCloseEvent
from PySide6.QtWidgets import QDialog, QHBoxLayout, QProgressBar, QPushButton, QVBoxLayout

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message
from mivex.core.installation import compilation as warm
from mivex.ui.fields.labels import label
from mivex.ui.session.worker import Workers


class FirstStart(QDialog):
    """Compiles in the background; closing it leaves what is missing to be compiled when it is needed."""

    def __init__(self) -> None:
        super().__init__()
        self.setWindowTitle(tr("Mivex"))
        self.setMinimumWidth(420)
        column = QVBoxLayout(self)
        column.setContentsMargins(20, 18, 20, 16)
        column.setSpacing(10)
        column.addWidget(label("Getting ready, this once", "title"))
        column.addWidget(
            label(
                "What draws and measures is compiled for this machine. That takes about a minute; later "
                "starts have it at hand.",
                "soft",
                wrap=True,
            )
        )
        self.bar = QProgressBar()
        self.bar.setRange(0, 100)
        self.bar.setTextVisible(False)
        self.bar.setAccessibleName(tr("Progress"))
        column.addWidget(self.bar)
        row = QHBoxLayout()
        self.said = label("", "figure")
        row.addWidget(self.said, 1)
        self.skip = QPushButton(tr("Start at once"))
        self.skip.setToolTip(tr("What is missing is compiled when it is first needed: the first pictures come late"))
        self.skip.clicked.connect(self.accept)
        row.addWidget(self.skip, 0, Qt.AlignmentFlag.AlignRight)
        column.addLayout(row)
        self.workers = Workers(self)
        self.worker = self.workers.latest("first start", lambda _why: self.accept())
        self.worker.reported.connect(self._progress)
        self.worker.done.connect(lambda *_: self.accept())

        def work(report, stopped):  # type: ignore[no-untyped-def]
            warm.clear_stale()
            warm.warm(lambda share, words: report((share, words)), stopped)

        self.worker.ask(None, work)

    def _progress(self, _token: object, part: tuple[float, str]) -> None:
        self.bar.setValue(round(100 * part[0]))
        self.said.setText(tr(Message("{part:.0%}", part=part[0])))

    def done(self, code: int) -> None:
        self.workers.end()
        super().done(code)

    def closeEvent(self, event: QCloseEvent) -> None:
        self.workers.end()
        super().closeEvent(event)

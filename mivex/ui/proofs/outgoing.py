"""At Deliver: channels into files, what was read back, and what the intake makes of it."""

from collections.abc import Sequence

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QButtonGroup, QHBoxLayout, QPushButton, QScrollArea, QStackedWidget, QVBoxLayout, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, joined, term
from mivex.core.deliver.compared import Compared
from mivex.ui import theme
from mivex.ui.fields.labels import label
from mivex.ui.proofs.flow_picture import FlowPicture
from mivex.ui.proofs.intake_picture import IntakeView
from mivex.ui.proofs.survival_table import ReadBackTable
from mivex.ui.session.session import Session
from mivex.ui.session.shipping import Shipping

PAGES = (
    ("files", "Files", "Which channel goes into which file"),
    ("back", "Read back", "Every file of the last delivery, read again and compared"),
    ("intake", "Intake", "What a receiver draws that has only the delivered files"),
)


class Outgoing(QWidget):
    """Three pages of the station Deliver: the files, what was read back, the intake."""

    def __init__(self, session: Session, shipping: Shipping) -> None:
        super().__init__()
        self.session, self.shipping = session, shipping
        self.flow, self.intake, self.table = FlowPicture(session), IntakeView(shipping), ReadBackTable()
        self.pages = QStackedWidget()
        scroll = QScrollArea()
        scroll.setWidgetResizable(True)
        scroll.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        scroll.setWidget(self.flow)
        self.back = QWidget()
        self.back.setObjectName("panel")
        inner = QVBoxLayout(self.back)
        inner.setContentsMargins(0, 0, 0, 0)
        self.said = label("", "soft", wrap=True)
        self.said.setContentsMargins(10, 8, 10, 4)
        inner.addWidget(self.said)
        inner.addWidget(self.table, 1)
        for page in (scroll, self.back, self.intake):
            self.pages.addWidget(page)
        top = QWidget()
        top.setObjectName("strip")
        top.setFixedHeight(theme.HEAD // 2)
        row = QHBoxLayout(top)
        row.setContentsMargins(4, 0, 8, 0)
        self.tabs = QButtonGroup(self)
        for k, (key, words, tip) in enumerate(PAGES):
            button = QPushButton(tr(words))
            button.setObjectName("tab")
            button.setCheckable(True)
            button.setToolTip(tr(tip))
            button.setProperty("key", key)
            button.clicked.connect(lambda _=False, i=key: self.show_page(i))  # type: ignore[misc]
            self.tabs.addButton(button, k)
            row.addWidget(button)
        row.addStretch()
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        column.addWidget(top)
        column.addWidget(self.pages, 1)
        self.show_page("files")
        shipping.told.connect(self.refresh)
        self.refresh()

    @property
    def page(self) -> str:
        """Key of the page that is shown."""
        return PAGES[self.pages.currentIndex()][0]

    def show_page(self, key: str) -> None:
        """Show the page ``files``, ``back`` or ``intake``."""
        k = next(i for i, row in enumerate(PAGES) if row[0] == key)
        self.pages.setCurrentIndex(k)
        for b in self.tabs.buttons():
            b.setChecked(b.property("key") == key)

    def refresh(self) -> None:
        """Show the last delivery."""
        made = self.shipping.made
        rows: Sequence[Compared] = [c for d in made.overlays for c in d.table] if made else ()
        if made is None:
            self.said.setText(
                tr(
                    "Nothing has been delivered in this session. What is written is read again and compared "
                    "here, "
                    "channel by channel."
                )
            )
        else:
            names = {c.file for c in rows}
            same = len({c.file for c in rows if not c.back.fresh})
            words: list[str] = [
                Message(
                    "{count} pictures of {count2} overlay{ending} in “{folder}”, {count3} channels read back.",
                    count=len(names),
                    count2=len(made.overlays),
                    ending=term("" if len(made.overlays) == 1 else "s"),
                    folder=self.shipping.folder,
                    count3=len(rows),
                )
            ]
            if same:
                words.append(Message("{same} were as they should be already and were left alone.", same=same))
            if made.motion:
                words.append(
                    Message(
                        "{count} motion file{ending}.",
                        count=len(made.motion),
                        ending=term("" if len(made.motion) == 1 else "s"),
                    )
                )
            if made.proof:
                words.append("“proof.html” shows it all.")
            lost = [
                Message("{overlay}: {parts}", overlay=d.overlay, parts=joined(", ", d.left_out))
                for d in made.overlays
                if d.left_out
            ]
            if lost:
                words.append(Message("Left out, since no file holds it: {parts}.", parts=joined("; ", lost)))
            self.said.setText(tr(joined(" ", words)))
        if not made or rows != list(self.table._rows):
            self.table.show_rows(rows)

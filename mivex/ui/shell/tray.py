"""The tray: findings of the whole project, the ledger of a pixel, the adviser on the drawing order, and the clock."""

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QImage, QMouseEvent, QPixmap
from PySide6.QtWidgets import (
    QAbstractButton,
    QApplication,
    QButtonGroup,
    QFrame,
    QHBoxLayout,
    QLabel,
    QListWidget,
    QListWidgetItem,
    QPushButton,
    QStackedWidget,
    QVBoxLayout,
    QWidget,
)

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term, verbatim
from mivex.core.findings import CHECKS, Finding, likely
from mivex.ui import theme
from mivex.ui.fields.line import commit_typing
from mivex.ui.session.desk import PlaybackController
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session
from mivex.ui.shell.clock_page import ClockPage
from mivex.ui.shell.finding_lines import FINDING, FindingLines
from mivex.ui.shell.ledger_page import LedgerPage
from mivex.ui.shell.measured import Measured
from mivex.ui.shell.order_page import OrderPage

FOLDED = 34
LEAST, USUAL, MOST = 132, 190, 460
"""Heights that the tray may have; its pages share the one that the artist has drawn."""
PAGES = (
    ("findings", "Findings", "What is wrong, how much, and its repair   (Shift+F1)"),
    ("ledger", "Ledger", "Every fragment of one pixel of the stage   (Shift+F2)"),
    ("order", "Order", "How wrong the drawing order is, and what would mend it   (Shift+F3)"),
    ("clock", "Clock", "Play, step and scrub what moves; the life of one particle   (Shift+F4)"),
)
"""Pages of the tray: name, title, hint."""


class Grip(QWidget):
    """The strip above the tray: dragged, it makes the tray higher or lower; a double click brings the usual height."""

    def __init__(self, tray: "Tray") -> None:
        super().__init__()
        self.tray = tray
        self._from: tuple[float, int] | None = None
        self.setFixedHeight(4)
        self.setCursor(Qt.CursorShape.SizeVerCursor)
        self.setToolTip(tr("Drag to make the tray higher or lower; double click: its usual height"))

    def mousePressEvent(self, event: QMouseEvent) -> None:
        if event.button() == Qt.MouseButton.LeftButton and not self.tray.folded:
            self._from = event.globalPosition().y(), self.tray.tall

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if self._from is not None:
            self.tray.set_height(round(self._from[1] + self._from[0] - event.globalPosition().y()))

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        self._from = None

    def mouseDoubleClickEvent(self, _event: QMouseEvent) -> None:
        self._from = None
        self.tray.set_height(USUAL)


class Tray(QWidget):
    """Findings and the one that is chosen; the ledger; the adviser; the clock. `shown` asks to go to a finding's place."""

    shown = Signal(object)
    learn_wanted = Signal(str)
    mend_all_wanted = Signal()

    def __init__(self, session: Session, engine: Engine, desk: PlaybackController) -> None:
        super().__init__()
        self.session, self.engine, self.desk = session, engine, desk
        self.setObjectName("panel")
        self.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        self.tall = USUAL
        self.setFixedHeight(USUAL)
        self.grip = Grip(self)
        self.folded = False
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        column.addLayout(self._head())
        self.body = self._findings()
        self.ledger, self.order = LedgerPage(session, engine), OrderPage(session, engine)
        self.pages = QStackedWidget()
        self.clock = ClockPage(session, desk)
        for page in (self.body, self.ledger, self.order, self.clock):
            self.pages.addWidget(page)
        column.addWidget(self.pages, 1)
        for button in self.body.findChildren(QAbstractButton):
            # A button that goes away with its finding would hand the focus, and all single keys, to a table.
            button.setFocusPolicy(Qt.FocusPolicy.TabFocus)
        self.page = "findings"
        self.show_page("findings")
        self.found: list[Finding] = []
        self.lines: list[Finding | None] = []
        """What stands in the list; None is the line that folds what is only possible."""
        self.unfolded = False
        for signal in (engine.examined, session.changed):
            signal.connect(session.refresher.later(self.refresh))
        engine.prepared.connect(session.refresher.later(self._show_detail))
        engine.busy.connect(session.refresher.later(self._say_state))
        session.chosen.connect(self._follow)
        self.refresh()

    def _head(self) -> QHBoxLayout:
        """Tabs, a word on what is being measured, *Mend all that is sure*, the fold."""
        head = QHBoxLayout()
        head.setContentsMargins(12, 7, 12, 5)
        self.tabs = QButtonGroup(self)
        for key, title, tip in PAGES:
            tab = QPushButton(tr(title))
            tab.setObjectName("tab")
            tab.setCheckable(True)
            tab.setToolTip(tr(tip))
            tab.setProperty("key", key)
            tab.clicked.connect(lambda _=False, k=key: self.show_page(k))  # type: ignore[misc]
            self.tabs.addButton(tab)
            head.addWidget(tab)
        self.state = QLabel("")
        self.state.setObjectName("soft")
        head.addSpacing(10)
        head.addWidget(self.state)
        head.addStretch()
        self.mend_all = QPushButton(tr("Mend all that is sure"))
        self.mend_all.setToolTip(
            tr("Takes every repair of a likely finding that changes nothing seen at full size; one step to undo")
        )
        self.mend_all.clicked.connect(self.mend_all_wanted)
        head.addWidget(self.mend_all)
        self.folder = theme.tool("down", "Fold the tray, or open it", theme.SOFT)
        self.folder.setFixedSize(24, 18)
        self.folder.clicked.connect(lambda: self.fold(not self.folded))
        head.addWidget(self.folder)
        return head

    def _findings(self) -> QWidget:
        """The list of findings, and beside it the one that is chosen."""
        page = QWidget()
        body = QHBoxLayout(page)
        body.setContentsMargins(0, 0, 0, 0)
        body.setSpacing(0)
        self.list = QListWidget()
        self.list.setAccessibleName(tr("Findings"))
        self.list.setItemDelegate(FindingLines(self.list))
        self.list.setUniformItemSizes(True)
        # A click on a finding leaves the keys to the proofs, which it has just gone to.
        self.list.setFocusPolicy(Qt.FocusPolicy.TabFocus)
        self.list.currentRowChanged.connect(self._choose)
        self.list.itemClicked.connect(self._click)
        self.list.itemActivated.connect(self._press)
        body.addWidget(self.list, 5)
        self.side = QStackedWidget()
        self.side.addWidget(self._idle())
        self.side.addWidget(self._chosen())
        body.addWidget(self.side, 5)
        return page

    def _idle(self) -> QFrame:
        """What is measured of the chosen overlay, while no finding is chosen."""
        self.measured = Measured()
        idle = QFrame()
        idle.setObjectName("panel")
        rest = QVBoxLayout(idle)
        rest.setContentsMargins(14, 2, 14, 10)
        rest.setSpacing(4)
        rest.addWidget(self.measured, 1)
        self.invite = QLabel(tr("Choose a finding to go to its place and see its repair."))
        self.invite.setObjectName("figure")
        rest.addWidget(self.invite)
        return idle

    def _chosen(self) -> QFrame:
        """What the chosen finding says, what its repair costs, and the repair."""
        self.detail = QFrame()
        self.detail.setObjectName("panel")
        side = QVBoxLayout(self.detail)
        side.setContentsMargins(14, 2, 14, 10)
        side.setSpacing(4)
        self.message, self.why = QLabel(), QLabel()
        for label in (self.message, self.why):
            label.setWordWrap(True)
            label.setAlignment(Qt.AlignmentFlag.AlignTop)
        self.why.setObjectName("soft")
        self.cost = QLabel()
        self.cost.setAlignment(Qt.AlignmentFlag.AlignTop | Qt.AlignmentFlag.AlignRight)
        self.cost.setToolTip(tr("What the repair changes at full size: before, after, and where they differ (four times)."))
        self.cost.setAccessibleName(tr("What the repair costs: before, after, difference"))
        words = QHBoxLayout()
        words.setSpacing(10)
        said = QVBoxLayout()
        said.setSpacing(4)
        said.addWidget(self.message)
        said.addWidget(self.why, 1)
        words.addLayout(said, 1)
        words.addWidget(self.cost)
        side.addLayout(words, 1)
        foot = QHBoxLayout()
        self.repair = QPushButton()
        self.repair.setObjectName("main")
        self.repair.clicked.connect(self.mend)
        foot.addWidget(self.repair)
        self.learn = QPushButton(tr("More about it …"))
        self.learn.setToolTip(tr("A page with a good and a bad picture: why it matters, and how to avoid it   (Shift+F5)"))
        self.learn.clicked.connect(lambda: self.learn_wanted.emit(self.current.id if self.current else ""))
        foot.addWidget(self.learn)
        foot.addStretch()
        side.addLayout(foot)
        return self.detail

    def _say_state(self) -> None:
        sure = likely(self.found)
        count, shown = len(sure), len(self.session.doc.overlays)
        if self.page != "findings":
            text = ""
        elif not shown:
            text = "Every overlay is measured here as soon as there is one."
        elif not self.engine.idle:
            text = Message("{count} so far; measuring …", count=count)
        else:
            own = sum(self.session.overlay_id in f.overlays for f in sure)
            text = (
                "None. Everything here composites as it should."
                if not count
                else Message("{count} in the project, {own} on this overlay", count=count, own=own)
            )
        self.state.setText(tr(text))
        self.mend_all.setVisible(self.page == "findings" and bool(sure))

    def _follow(self) -> None:
        """A finding of another overlay than the selected one is no longer the chosen one."""
        if self.current and self.current.overlay != self.session.overlay_id:
            self.list.blockSignals(True)
            self.list.setCurrentRow(-1)
            self.list.blockSignals(False)
        self._say_state()
        self._show_detail()

    def refresh(self) -> None:
        """Show the findings as they are now, keeping the chosen one."""
        found = self.engine.all_findings()
        if found != self.found:
            self.found = found
            self._fill()
        self._say_state()
        self._show_detail()

    def _fill(self) -> None:
        """Put the findings into the list: likely ones, then a line that folds those that are only possible."""
        now = self.current
        sure = [f for f in self.found if f.certainty == "likely" or f.under]
        maybe = [f for f in self.found if f.certainty == "possible" and not f.under]
        lines: list[Finding | None] = [*sure, *([None] if maybe else []), *(maybe if self.unfolded else [])]
        self.list.blockSignals(True)
        while self.list.count() > len(lines):
            self.list.takeItem(self.list.count() - 1)
        for i, f in enumerate(lines):
            if i == self.list.count():
                self.list.addItem(QListWidgetItem())
            if i >= len(self.lines) or self.lines[i] != f or f is None:
                self._fill_line(self.list.item(i), f, len(maybe))
        self.lines = lines
        same = [i for i, f in enumerate(lines) if f and now and (f.id, f.overlay) == (now.id, now.overlay)]
        self.list.setCurrentRow(same[0] if same else -1)
        self.list.blockSignals(False)

    def _fill_line(self, item: QListWidgetItem, f: Finding | None, maybe: int) -> None:
        if f is None:
            words = tr(Message("{mark} {count} more are possible", mark="▾" if self.unfolded else "▸", count=maybe))
            tip = tr("They may as well be meant so; they are not counted. Click to see them or to fold them away.")
        else:
            title = term(CHECKS[f.id].title)
            words = tr(Message("{title}, {words}, {subject}", title=title, words=f.words, subject=f.subject))
            tip = tr(verbatim(f.subject))
            if f.under:
                cause = Message("Goes away with the repair of “{title}”.", title=term(CHECKS[f.under].title))
                tip, words = tr(cause), tr(Message("{words}. {cause}", words=term(words), cause=cause))
        item.setData(FINDING, words if f is None else f)
        item.setData(Qt.ItemDataRole.AccessibleTextRole, words)
        item.setToolTip(tip)

    @property
    def current(self) -> Finding | None:
        """The chosen finding."""
        row = self.list.currentRow()
        return self.lines[row] if 0 <= row < len(self.lines) else None

    def _show_detail(self) -> None:
        f = self.current
        self.list.setVisible(bool(self.found))
        o = self.session.overlay
        self.side.setVisible(o is not None or bool(self.found))
        self.side.setCurrentIndex(0 if f is None else 1)
        self.invite.setVisible(bool(self.found))
        self.measured.show_result(o.name if o else "", self.engine.get(o.id if o else ""))
        self.repair.setVisible(f is not None and f.repair is not None)
        self.message.setText(tr(f.message if f else ""))
        self.why.setText(tr(f.why if f else ""))
        cost = f.repair.cost if f and f.repair else None
        self.cost.setVisible(cost is not None)
        if cost is not None:
            h, w = cost.picture.shape[:2]
            image = QImage(cost.picture.tobytes(), w, h, 3 * w, QImage.Format.Format_RGB888)
            self.cost.setPixmap(QPixmap.fromImage(image))
        if f and f.repair:
            self.repair.setText(tr(f.repair.label))

    def fold(self, on: bool) -> None:
        """Leave only the heading, so that there is more room above; or open the list again."""
        self.folded = on
        self.pages.setVisible(not on)
        self.setFixedHeight(FOLDED if on else self.tall)
        self.folder.setIcon(theme.icon("up" if on else "down", theme.SOFT))

    def set_height(self, height: int) -> None:
        """Make it higher or lower, on every page."""
        self.tall = min(max(height, LEAST), MOST)
        if not self.folded:
            self.setFixedHeight(self.tall)

    def show_page(self, key: str) -> None:
        """Show findings, ledger, order or the clock; a folded tray opens."""
        self.page = key
        self.pages.setCurrentIndex([k for k, _, _ in PAGES].index(key))
        for tab in self.tabs.buttons():
            tab.setChecked(tab.property("key") == key)
        self.fold(on=False)
        if hasattr(self, "found"):
            self._say_state()
            self.order.refresh()

    def _click(self, item: QListWidgetItem) -> None:
        if isinstance(item.data(FINDING), str):
            self._unfold()
        else:
            self._choose(self.list.row(item))

    def _press(self, item: QListWidgetItem) -> None:
        # Enter; the second click of a double click arrives here, too, and has been answered.
        if isinstance(item.data(FINDING), str) and QApplication.mouseButtons() == Qt.MouseButton.NoButton:
            self._unfold()

    def _unfold(self) -> None:
        """Show what is only possible, or fold it away."""
        self.unfolded = not self.unfolded
        self._fill()

    def _choose(self, _row: int) -> None:
        self._show_detail()
        if self.current:
            self.shown.emit(self.current)

    def mend(self) -> None:
        """Make the chosen finding's repair; Undo takes it back."""
        f = self.current
        if f and f.repair:
            commit_typing(self.window())
            self.session.apply(f.repair.label, f.repair)

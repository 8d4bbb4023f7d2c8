"""A folder of pictures as a table: one line a picture, one column a kind of finding, the worst first."""

import os
from collections.abc import Callable
from functools import partial
from pathlib import Path

from PySide6.QtCore import QSize, Qt, QTimer
from PySide6.QtGui import QColor, QFont, QIcon, QImage, QKeyEvent, QPixmap
from PySide6.QtWidgets import (
    QAbstractItemView,
    QCheckBox,
    QDialog,
    QFileDialog,
    QHBoxLayout,
    QHeaderView,
    QInputDialog,
    QLabel,
    QPushButton,
    QTableWidgetItem,
    QVBoxLayout,
    QWidget,
)

from mivex.core.base.errors import MivexError
from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, joined, term, verbatim
from mivex.core.checking.folder import MOST, FolderRow, look_at_picture, pictures_in
from mivex.core.checking.mending import mend_picture
from mivex.core.findings import CHECKS, Finding
from mivex.core.findings.ignoring import ignore
from mivex.core.project.document import Ignored
from mivex.core.project.file import absolute
from mivex.ui import theme
from mivex.ui.fields.labels import enable
from mivex.ui.proofs.survival_table import Table
from mivex.ui.session.session import Session

THUMB, LINE = 44, 50
NAME, SIZE, FIRST = 0, 1, 2
"""Columns; kinds of findings stand from `FIRST` on."""
SOON = 300
"""Milliseconds after which the table takes in what has been examined meanwhile."""


def _short(f: Finding) -> str:
    """The figure of a finding in a narrow cell: of 255 by itself, a share with its sign, else a mark."""
    if f.unit == "of 255":
        return Message("{figure:.0f}", figure=f.figure)
    return Message("{figure:.0f} %", figure=f.figure) if f.unit.startswith("%") else "●"


class PictureTable(Table):
    """The table itself; Return opens what is chosen."""

    def __init__(self, open_chosen: Callable[[], None]) -> None:
        super().__init__(["Picture", "Texels"], "Pictures of the folder")
        self._open = open_chosen
        self.kinds: list[str] = []
        self.setSelectionMode(QAbstractItemView.SelectionMode.ExtendedSelection)
        self.setIconSize(QSize(THUMB, THUMB))
        self.verticalHeader().setDefaultSectionSize(LINE)
        head = self.horizontalHeader()
        head.setSectionResizeMode(QHeaderView.ResizeMode.Interactive)
        head.setSectionResizeMode(NAME, QHeaderView.ResizeMode.Stretch)
        head.setDefaultAlignment(Qt.AlignmentFlag.AlignCenter | Qt.TextFlag.TextWordWrap)  # type: ignore[arg-type]
        head.setFixedHeight(50)
        self.setColumnWidth(SIZE, 92)
        self.itemDoubleClicked.connect(lambda _i: self._open())

    def keyPressEvent(self, event: QKeyEvent) -> None:
        if event.key() in (Qt.Key.Key_Return, Qt.Key.Key_Enter):
            self._open()
        else:
            super().keyPressEvent(event)

    def show_pictures(self, rows: list[FolderRow], ignored: Callable[[FolderRow], Ignored | None]) -> None:
        """Fill the table; rows stand as they are given."""
        kinds = {f.id for r in rows for f in r.findings}
        self.kinds = [k for k in CHECKS if k in kinds]
        self.setColumnCount(FIRST + len(self.kinds))
        self.setHorizontalHeaderLabels([tr("Picture"), tr("Texels"), *(tr(CHECKS[k].title) for k in self.kinds)])
        for column in range(FIRST, self.columnCount()):
            self.setColumnWidth(column, 96)
        picture = self.horizontalHeaderItem(NAME)
        if picture is not None:
            picture.setTextAlignment(Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter)
        self.setRowCount(len(rows))
        for i, row in enumerate(rows):
            self._line(i, row, ignored(row))

    def _line(self, i: int, row: FolderRow, ignored: Ignored | None) -> None:
        self.put(i, NAME, verbatim(row.name), tip=row.problem or verbatim(row.name), bad=bool(row.problem))
        item = self.item(i, NAME)
        if row.thumb is not None and item is not None:
            h, w = row.thumb.shape[:2]
            image = QImage(row.thumb.tobytes(), w, h, 3 * w, QImage.Format.Format_RGB888)
            item.setIcon(QIcon(QPixmap.fromImage(image)))
        self.put(i, SIZE, "–" if row.problem else Message("{w} × {h}", w=row.width, h=row.height), tip=row.problem)
        names = ignored.findings if ignored is not None and ignored.digest == row.digest else ()
        found = {f.id: f for f in row.findings}
        for k, kind in enumerate(self.kinds, FIRST):
            f = found.get(kind)
            if f is None:
                self.setItem(i, k, QTableWidgetItem(""))
            elif kind in names and ignored is not None:
                self.put(i, k, "–", tip=Message("Ignored: {reason}", reason=ignored.reason))
            else:
                self._finding(i, k, f)

    def _finding(self, i: int, k: int, f: Finding) -> None:
        counts = f.certainty == "likely" and not f.under
        why = Message("Goes away with the repair of “{title}”.", title=term(CHECKS[f.under].title)) if f.under else ""
        self.put(i, k, _short(f), bad=counts, tip=joined("  ", [f.message, *([why] if why else [])]))
        item = self.item(i, k)
        if item is not None:
            item.setTextAlignment(Qt.AlignmentFlag.AlignCenter)
            if counts:
                item.setFont(theme.figures_font(12, QFont.Weight.DemiBold))
            else:
                item.setForeground(QColor(theme.SOFT))


class FolderSheet(QDialog):
    """Looks through a folder in the background; pictures are opened, mended as copies, or let stand with a reason."""

    def __init__(self, folder: str, session: Session, add: Callable[[list[str]], None], parent: QWidget) -> None:
        super().__init__(parent)
        self.folder, self.session, self._add = Path(folder), session, add
        self.setWindowTitle(tr(Message("Pictures in “{name}”", name=self.folder.name or folder)))
        self.resize(1100, 680)
        self.rows: list[FolderRow] = []
        self.shown: list[FolderRow] = []
        self.count = 0
        self._beyond = False
        column = QVBoxLayout(self)
        column.setContentsMargins(14, 12, 14, 12)
        column.setSpacing(8)
        column.addLayout(self._head())
        self.table = PictureTable(self.open_chosen)
        self.table.itemSelectionChanged.connect(self._enable)
        column.addWidget(self.table, 1)
        column.addLayout(self._foot())
        self._soon = QTimer(self, singleShot=True, interval=SOON)
        self._soon.timeout.connect(self.take_in)
        self.worker = session.workers.latest("folder", self.state.setText)
        self.worker.reported.connect(self._take)
        self.worker.busy.connect(lambda on: self._ended() if not on else None)
        session.changed.connect(self._soon.start)
        self._look()

    def _head(self) -> QHBoxLayout:
        head = QHBoxLayout()
        self.state = QLabel(tr("Looking for pictures …"))
        self.state.setObjectName("soft")
        head.addWidget(self.state, 1)
        self.only = QCheckBox(tr("Only those with findings"))
        self.only.setToolTip(tr("Leaves out pictures in which nothing is found, or only what is ignored"))
        self.only.toggled.connect(self.take_in)
        head.addWidget(self.only)
        self.stop = QPushButton(tr("Stop"))
        self.stop.clicked.connect(self._halt)
        head.addWidget(self.stop)
        return head

    def _foot(self) -> QHBoxLayout:
        foot = QHBoxLayout()
        self.opens = QPushButton(tr("Open as overlays"))
        self.opens.setObjectName("main")
        self.opens.setToolTip(tr("Adds the chosen pictures to the project   (Return)"))
        self.opens.clicked.connect(self.open_chosen)
        self.mends = QPushButton(tr("Mend copies …"))
        self.mends.setToolTip(
            tr("Writes copies with every repair that changes nothing seen; the pictures stay as they are")
        )
        self.mends.clicked.connect(self.ask_mend)
        self.ignores = QPushButton(tr("Ignore …"))
        self.ignores.setToolTip(tr("Lets findings of the chosen pictures stand; the reason is kept in the project"))
        self.ignores.clicked.connect(self.ask_ignore)
        self.again = QPushButton(tr("Count again"))
        self.again.setToolTip(tr("Findings of the chosen pictures that were ignored count again"))
        self.again.clicked.connect(lambda: self.let_stand(False, ""))
        for button in (self.opens, self.mends, self.ignores, self.again):
            button.setAutoDefault(False)
            foot.addWidget(button)
        foot.addStretch()
        close = QPushButton(tr("Close"))
        close.setAutoDefault(False)
        close.clicked.connect(self.close)
        foot.addWidget(close)
        return foot

    def _look(self) -> None:
        folder, side = self.folder, THUMB * 2

        def work(report: Callable[[object], None], stopped: Callable[[], bool]) -> None:
            paths = pictures_in(folder)
            report(len(paths))
            for path in paths[:MOST]:
                if stopped():
                    return
                report(look_at_picture(path, folder, side))

        self.worker.ask(None, work)

    def _take(self, _token: object, part: object) -> None:
        if isinstance(part, FolderRow):
            self.rows.append(part)
        else:
            self.count = int(part)  # type: ignore[call-overload]
            self._beyond = self.count > MOST
        if not self._soon.isActive():
            self._soon.start()

    def _halt(self) -> None:
        self.worker.halt()

    def _ended(self) -> None:
        self.stop.hide()
        self.take_in()

    def ignored(self, row: FolderRow) -> Ignored | None:
        """What the project says of a picture."""
        folder = self.session.folder
        return next((r for r in self.session.doc.ignored if absolute(r.path, folder) == row.path), None)

    def take_in(self) -> None:
        """Show what has been examined so far, the worst first."""
        chosen = {r.path for r in self.chosen}
        rows = sorted(self.rows, key=lambda r: (*r.badness(self.ignored(r)), r.name))
        if self.only.isChecked():
            rows = [r for r in rows if r.problem or r.counted(self.ignored(r))]
        self.shown = rows
        self.table.blockSignals(True)
        self.table.show_pictures(rows, self.ignored)
        self.table.clearSelection()
        for i, r in enumerate(rows):
            if r.path in chosen:
                self.table.selectionModel().select(
                    self.table.model().index(i, 0),
                    self.table.selectionModel().SelectionFlag.Select | self.table.selectionModel().SelectionFlag.Rows,
                )
        self.table.blockSignals(False)
        self.state.setText(tr(self._words()))
        self._enable()

    def _words(self) -> str:
        """How far it is, and in how many pictures something is found."""
        done, bad = len(self.rows), sum(bool(r.problem or r.counted(self.ignored(r))) for r in self.rows)
        if not self.worker.idle:
            words = Message("{done} of {count} looked at; {bad} have findings", done=done, count=self.count, bad=bad)
        elif not self.count:
            words = Message("There is no picture in this folder that Mivex reads.")
        elif done < min(self.count, MOST):
            words = Message(
                "Stopped: {done} of {count} looked at; {bad} have findings", done=done, count=self.count, bad=bad
            )
        else:
            words = Message("{bad} of {count} pictures have findings; the worst stand first", bad=bad, count=done)
        if self._beyond:
            words += Message("; the folder holds more than {most}, which are left out", most=MOST)
        return words

    @property
    def chosen(self) -> list[FolderRow]:
        """The pictures that are chosen, as they stand."""
        at = sorted({i.row() for i in self.table.selectionModel().selectedRows()})
        return [self.shown[i] for i in at if i < len(self.shown)]

    def _enable(self) -> None:
        rows = self.chosen
        whole = [r for r in rows if not r.problem]
        enable(self.opens, bool(whole), "Choose pictures in the table first")
        enable(self.mends, bool(whole), "Choose pictures in the table first")
        counted = any(r.counted(self.ignored(r)) for r in whole)
        enable(self.ignores, counted, "Nothing that counts is found in what is chosen")
        enable(self.again, any(self.ignored(r) is not None for r in rows), "Nothing of what is chosen is ignored")

    def open_chosen(self) -> None:
        """Add the chosen pictures as overlays."""
        paths = [r.path for r in self.chosen if not r.problem]
        if paths:
            self._add(paths)

    def ask_mend(self) -> None:
        """Ask for a folder and write mended copies of the chosen pictures into it."""
        folder = QFileDialog.getExistingDirectory(self, tr("Write mended copies into"), self.session.folder)
        if folder:
            self.mend_into(folder)

    def mend_into(self, folder: str) -> None:
        """Write mended copies of the chosen pictures; the notice says what was done."""
        paths = [r.path for r in self.chosen if not r.problem]

        def work(_report: object, stopped: Callable[[], bool]) -> object:
            names: set[Path] = set()
            done, refused = 0, ""
            for path in paths:
                if stopped():
                    break
                try:
                    done += mend_picture(path, Path(folder), names) is not None
                except MivexError as e:
                    refused = refused or str(e)
            words = Message(
                "{done} of {count} pictures were mended, as copies in “{folder}”; of the others no repair is sure.",
                done=done,
                count=len(paths),
                folder=folder,
            )
            return joined("  ", [words, *([refused] if refused else [])])

        self.session.workers.named("jobs").ask(None, lambda: work)  # type: ignore[attr-defined]

    def ask_ignore(self) -> None:
        """Ask why the findings of the chosen pictures may stand."""
        reason, good = QInputDialog.getText(
            self, tr("Ignore"), tr("Why may they stand? The reason is kept in the project.")
        )
        if good and reason.strip():
            self.let_stand(True, reason.strip())

    def let_stand(self, on: bool, reason: str) -> None:
        """Ignore what counts in the chosen pictures, with a reason; or let all of it count again."""
        folder = self.session.folder
        rows = [(r, [f.id for f in r.counted(None)] if on else []) for r in self.chosen if not r.problem]
        changes = [
            partial(ignore, path=_named(r.path, folder), findings=ids, reason=reason, digest=r.digest) for r, ids in rows
        ]

        def edit(doc):  # type: ignore[no-untyped-def]
            for change in changes:
                doc = change(doc)
            return doc

        self.session.apply("Ignore findings" if on else "Count findings again", edit)

    def done(self, result: int) -> None:
        """Close, and stop the thread."""
        self.worker.halt()
        self.session.workers.drop(self.worker)
        super().done(result)


def _named(path: str, folder: str) -> str:
    """A path as a project names it: relative where it lies below the project's folder."""
    rel = os.path.relpath(path, folder) if folder else path
    return path if rel.startswith("..") else rel

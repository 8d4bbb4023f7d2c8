"""The pages about findings: a case with the fault and one without, why it matters, how to avoid it."""

from typing import Any

import numpy as np
from PySide6.QtCore import QSize, Qt
from PySide6.QtGui import QCloseEvent, QImage, QPixmap
from PySide6.QtWidgets import QDialog, QHBoxLayout, QLabel, QListWidget, QListWidgetItem, QScrollArea, QVBoxLayout, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term
from mivex.core.findings import CHECKS
from mivex.core.lessons.model import HIGH, WIDE, Lesson, lessons
from mivex.ui import theme
from mivex.ui.fields.labels import label
from mivex.ui.session.worker import Workers

SCOPES = {"texture": "Textures", "sheet": "Sheets", "scene": "The scene", "motion": "Motion"}


class LessonSheet(QDialog):
    """Every finding at the left, the page of the chosen one at the right; pictures are drawn in the background."""

    def __init__(self, workers: Workers, check: str = "", parent: QWidget | None = None) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Findings, one by one"))
        self.resize(QSize(868, 560))
        self.workers = workers
        self.worker = workers.latest("lessons", self._fail)
        self.worker.done.connect(self._take)
        row = QHBoxLayout(self)
        row.setContentsMargins(0, 0, 0, 0)
        row.setSpacing(0)
        self.list = QListWidget()
        self.list.setAccessibleName(tr("Findings"))
        self.list.setFixedWidth(236)
        self.list.setSpacing(1)
        self.rows: list[Lesson | None] = []
        by_scope: dict[str, list[Lesson]] = {s: [] for s in SCOPES}
        for lesson in lessons().values():
            by_scope[CHECKS[lesson.id].scope].append(lesson)
        for scope, found in by_scope.items():
            head = QListWidgetItem(tr(Message("  {scopes}", scopes=term(SCOPES[scope]))))
            head.setFlags(Qt.ItemFlag.NoItemFlags)
            head.setFont(theme.figures_font(11))
            self.list.addItem(head)
            self.rows.append(None)
            for lesson in found:
                self.list.addItem(QListWidgetItem(tr(Message("     {title}", title=term(lesson.title)))))
                self.rows.append(lesson)
        self.list.currentRowChanged.connect(self._choose)
        row.addWidget(self.list)
        page = QWidget()
        page.setObjectName("panel")
        column = QVBoxLayout(page)
        column.setContentsMargins(22, 18, 22, 18)
        column.setSpacing(10)
        self.title = label("", "title")
        column.addWidget(self.title)
        pictures = QHBoxLayout()
        pictures.setSpacing(14)
        self.pictures: list[QLabel] = []
        for words in ("With the fault", "Without"):
            part = QVBoxLayout()
            part.setSpacing(4)
            shown = QLabel()
            shown.setFixedSize(WIDE, HIGH)
            shown.setAccessibleName(tr(words))
            shown.setAlignment(Qt.AlignmentFlag.AlignCenter)
            shown.setStyleSheet(f"background: {theme.SURROUND}; color: #101010;")
            self.pictures.append(shown)
            part.addWidget(shown)
            part.addWidget(label(words, "figure"))
            pictures.addLayout(part)
        pictures.addStretch()
        column.addLayout(pictures)
        self.said = label("", "equation", wrap=True)
        column.addWidget(self.said)
        column.addWidget(label("Why it matters", "section"))
        self.why = label("", "", wrap=True)
        column.addWidget(self.why)
        column.addWidget(label("How to avoid it", "section"))
        self.avoid = label("", "", wrap=True)
        column.addWidget(self.avoid)
        column.addStretch()
        scroll = QScrollArea()
        scroll.setWidgetResizable(True)
        scroll.setWidget(page)
        row.addWidget(scroll, 1)
        self.show_lesson(check or next(iter(lessons())))

    def show_lesson(self, check: str) -> None:
        """Go to the page of a finding."""
        for k, lesson in enumerate(self.rows):
            if lesson is not None and lesson.id == check:
                self.list.setCurrentRow(k)
                self.list.scrollToItem(self.list.item(k))

    def _fail(self, why: str) -> None:
        self.said.setText(tr(why))

    def _choose(self, k: int) -> None:
        lesson = self.rows[k] if 0 <= k < len(self.rows) else None
        if lesson is None:
            return
        self.title.setText(tr(lesson.title))
        self.why.setText(tr(lesson.why))
        self.avoid.setText(tr(lesson.avoid))
        self.said.setText(tr("Both pictures are being drawn and measured."))
        for p, words in zip(self.pictures, ("the case with the fault", "the same without it"), strict=True):
            p.setText(tr(Message("Drawing {words} …", words=term(words))))

        def work(_report: Any, _stopped: Any) -> object:
            found = lesson.found()
            return lesson.case(False).picture(), lesson.case(True).picture(), found.message if found else ""

        self.worker.ask(lesson.id, work)

    def _take(self, check: object, made: object) -> None:
        now = self.rows[self.list.currentRow()]
        if now is None or now.id != check or not isinstance(made, tuple):
            return
        for shown, codes in zip(self.pictures, made[:2], strict=True):
            held = np.ascontiguousarray(codes)
            image = QImage(held.data, WIDE, HIGH, 3 * WIDE, QImage.Format.Format_RGB888)
            shown.setPixmap(QPixmap.fromImage(image.copy()))
        self.said.setText(tr(str(made[2]) or "The example shows it; this finding measures nothing on a single picture."))

    def closeEvent(self, event: QCloseEvent) -> None:
        self.workers.drop(self.worker)
        super().closeEvent(event)

    def done(self, code: int) -> None:
        self.workers.drop(self.worker)
        super().done(code)

"""The test card: write it, read a picture of it, and what the receiver that drew it does."""

from pathlib import Path
from typing import Any

from PySide6.QtCore import QSize, Qt
from PySide6.QtWidgets import QDialog, QFileDialog, QHBoxLayout, QHeaderView, QPushButton, QVBoxLayout

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, named
from mivex.core.card.locate import read_card
from mivex.core.card.make import make_card
from mivex.core.card.meaning import TITLES, meanings, receiver_from, recipe_for, sizes_of, words_of
from mivex.core.card.questions import UNKNOWN, Answer, read_answers
from mivex.core.project import delivery_edits
from mivex.core.project.receiver import QUESTIONS, Receiver
from mivex.ui.fields.labels import enable, label, picture_filter
from mivex.ui.fields.line import Line
from mivex.ui.proofs.survival_table import Table
from mivex.ui.session.session import Session
from mivex.ui.session.shipping import Shipping

MOST = 12
"""Overlays that are named; of more only the number is told."""
_NOTHING = "Nothing has been read yet"


class CardSheet(QDialog):
    """Every question of the card with the receiver's answer, and what can be done with them."""

    def __init__(self, session: Session, shipping: Shipping, parent: Any) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Test card"))
        self.resize(QSize(940, 640))
        self.session, self.shipping = session, shipping
        self.answers: dict[str, Answer] = {}
        self.touched: dict[str, tuple[str, ...]] = {}
        self.worker = session.workers.latest("card", self._fail)
        self.worker.done.connect(self._take)
        self.worker.said.connect(self._say)
        self.finished.connect(lambda _r: session.workers.drop(self.worker))
        column = QVBoxLayout(self)
        column.setSpacing(8)
        column.addWidget(
            label(
                "Write the card, let the receiver draw it, and give a screenshot of that back: it tells what the receiver "
                "does to textures, blends, order and depth.",
                "soft",
                wrap=True,
            )
        )
        top = QHBoxLayout()
        self.write = self._button(
            "Write the card …", "Pictures, sheets and geometry, to be loaded in the receiver", self.ask_write
        )
        self.read = self._button("Read a screenshot …", "A picture of the card as the receiver draws it", self.ask_read)
        self.read.setObjectName("main")
        top.addWidget(self.write)
        top.addWidget(self.read)
        top.addSpacing(12)
        top.addWidget(label("Receiver", "soft"))
        self.name = Line()
        self.name.setAccessibleName(tr("Name of the receiver"))
        self.name.put(tr("Receiver"))
        self.name.setMaxLength(80)
        top.addWidget(self.name, 1)
        column.addLayout(top)
        self.table = Table([tr("About"), tr("What the receiver does"), tr("Sure")], "Answers of the test card")
        head = self.table.horizontalHeader()
        head.setSectionResizeMode(0, QHeaderView.ResizeMode.ResizeToContents)
        head.setSectionResizeMode(1, QHeaderView.ResizeMode.Stretch)
        self.table.itemSelectionChanged.connect(self._show_touched)
        column.addWidget(self.table, 1)
        self.note = label("", "figure", wrap=True)
        self.note.setMinimumHeight(36)
        self.note.setAlignment(Qt.AlignmentFlag.AlignTop)
        column.addWidget(self.note)
        foot = QHBoxLayout()
        self.keep = self._button("Keep in the project", "The intake and the checks can then judge by it", self._keep)
        self.take = self._button(
            "Deliver for it", "A delivery recipe that allows for what it does, used by this overlay", self._use_recipe
        )
        self.like = self._button("Draw the intake like it", "The intake's switches are set as it draws", self._set_intake)
        for b in (self.keep, self.take, self.like):
            foot.addWidget(b)
        foot.addStretch()
        foot.addWidget(self._button("Close", "", self.reject))
        column.addLayout(foot)
        self._show()

    @staticmethod
    def _button(words: str, tip: str, slot: Any) -> QPushButton:
        made = QPushButton(tr(words))
        made.setToolTip(tr(tip))
        made.setAutoDefault(False)
        made.clicked.connect(lambda _=False: slot())
        return made

    @property
    def receiver(self) -> Receiver:
        """The profile as it would be kept."""
        return receiver_from(self.answers, self.name.text().strip() or tr("Receiver"))

    def ask_write(self) -> None:
        """Ask for a folder and write the card into it."""
        folder = QFileDialog.getExistingDirectory(self, tr("Write the test card into"), self.session.folder)
        if folder:
            self.write_into(folder)

    def write_into(self, folder: str) -> None:
        """Write the card, in the background."""
        self._say("Writing the test card …")
        enable(self.write, False, "It is being written")

        def work(_report: Any, stopped: Any) -> object:
            return make_card(folder, stop=stopped, tell=self.worker.tell)

        self.worker.ask("write", work)

    def ask_read(self) -> None:
        """Ask for a screenshot and read it."""
        path, _ = QFileDialog.getOpenFileName(
            self,
            tr("Read a screenshot of the test card"),
            self.session.folder,
            tr(picture_filter()),
        )
        if path:
            self.read_picture(path)

    def read_picture(self, path: str) -> None:
        """Read a screenshot, in the background."""
        self._say(Message("Reading “{name}” …", name=Path(path).name))
        doc, folder = self.session.doc, Path(self.session.evaluator.folder)

        def work(_report: Any, _stopped: Any) -> object:
            found = read_card(path)
            answers = read_answers(found)
            rows = meanings(receiver_from(answers, "Receiver"), doc, sizes_of(doc, folder))
            return answers, {m.question: m.overlays for m in rows}, found.mirrored

        self.worker.ask("read", work)

    def _say(self, words: str) -> None:
        self.note.setText(tr(words))

    def _fail(self, why: str) -> None:
        self._say(why)
        enable(self.write, True, "")

    def _take(self, token: object, made: Any) -> None:
        if token == "write":
            enable(self.write, True, "")
            self._say(
                Message(
                    "Written: {count} files in “{folder}”. “{words}” says what to do with them.",
                    count=len(made),
                    folder=str(made[0].parent),
                    words=made[2].name,
                )
            )
            return
        self.answers, self.touched, mirrored = made
        self._show()
        open_ = sum(self.answers[q].value == UNKNOWN for q in QUESTIONS)
        other = len(self.receiver.unlike())
        self._say(
            Message(
                "{other} answers, in amber, make overlays look otherwise than on the stage; {open} cannot be told from "
                "this picture. Choose a line to see which overlays it touches.",
                other=other,
                open=open_,
            )
            + (" The picture is mirrored; it was read turned over." if mirrored else "")
        )

    def _show(self) -> None:
        for b in (self.keep, self.take, self.like):
            enable(b, bool(self.answers), _NOTHING)
        if self.answers and self.session.overlay is None:
            enable(self.take, False, "Choose an overlay in the rack first")
        rows = [q for q in QUESTIONS if q in self.answers] if self.answers else list(QUESTIONS)
        unlike = self.receiver.unlike() if self.answers else {}
        self.table.setRowCount(len(rows))
        for k, question in enumerate(rows):
            a = self.answers.get(question)
            self.table.put(k, 0, TITLES[question])
            self.table.put(k, 1, words_of(question, a.value) if a else "–", bad=question in unlike)
            sure = "–" if a is None or a.value == UNKNOWN else Message("{sure:.0f} %", sure=100 * a.sure)
            self.table.put(k, 2, sure, number=True)

    def _show_touched(self) -> None:
        row = self.table.currentRow()
        if not self.answers or not 0 <= row < len(QUESTIONS):
            return
        question = list(QUESTIONS)[row]
        if question not in self.touched:
            self._say("It does what the stage does, or cannot be told: no overlay is touched by it.")
            return
        names = self.touched[question]
        shown, more = named(", ", names[:MOST]), len(names) - MOST
        if more > 0:
            self._say(Message("It touches {names} and {more} more overlays.", names=shown, more=more))
        else:
            self._say(
                Message("It touches {names}.", names=shown) if names else "No overlay of this project is touched by it."
            )

    def _keep(self) -> None:
        r = self.receiver
        self.session.apply("Keep a receiver", lambda d: delivery_edits.with_receiver(d, r))
        self._say(
            Message(
                "“{name}” is kept in the project: the intake can draw like it, and “mivex check --receiver” judges by it.",
                name=r.name,
            )
        )

    def _use_recipe(self) -> None:
        o = self.session.overlay
        if o is None:
            return
        recipe = recipe_for(self.receiver)
        self.session.apply("Use a delivery recipe", lambda d: delivery_edits.taken(d, o.id, recipe))
        self._say(Message("“{name}” is delivered by “{recipe}” from now on.", name=o.name, recipe=recipe.name))

    def _set_intake(self) -> None:
        self.shipping.draw_like(self.receiver)
        self._say(
            "The intake draws like it from now on."
            if self.shipping.folder
            else "The intake draws like it as soon as something was delivered or loaded."
        )

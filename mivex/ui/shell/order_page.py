"""The tray's page for the drawing order: how wrong it is, from where, and what would mend it."""

from collections.abc import Callable
from html import escape
from typing import Any

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QHBoxLayout, QLabel, QPushButton, QScrollArea, QVBoxLayout, QWidget

from mivex.core.advice.conflicts import Conflict
from mivex.core.advice.order import Proposal, applied, propose, ring
from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, joined, named, term, verbatim
from mivex.core.project.document import Document
from mivex.ui.fields.labels import enable
from mivex.ui.proofs.ring import Ring
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session

ROUND = 16
"""Cameras on the ring."""
SETTING_WORDS = {"group": "draw group", "depth_write": "depth write"}


def _value(v: Any) -> str:
    return ("on" if v else "off") if isinstance(v, bool) else str(v)


def _nudge(n: int) -> str:
    return f"{n:+d}".replace("-", "−") if n else "0"


class OrderPage(QWidget):
    """The page of the tray on which the adviser is asked and its proposal is taken."""

    def __init__(self, session: Session, engine: Engine) -> None:
        super().__init__()
        self.session, self.engine = session, engine
        self.stage: Any = None
        self.found: Proposal | None = None
        self._asked: object = None
        self.worker = session.workers.latest("adviser", self._say)
        self.worker.reported.connect(self._tell)
        self.worker.done.connect(self._take)
        self.ring = Ring()
        self.ring.turned.connect(self._turn)
        row = QHBoxLayout(self)
        row.setContentsMargins(12, 2, 12, 8)
        row.setSpacing(14)
        row.addWidget(self.ring)
        left = QVBoxLayout()
        left.setSpacing(6)
        self.head = QLabel()
        self.head.setWordWrap(True)
        self.head.setAlignment(Qt.AlignmentFlag.AlignTop)
        left.addWidget(self.head)
        left.addStretch()
        buttons = QHBoxLayout()
        self.go = QPushButton(tr("Ask for advice"))
        self.go.setToolTip(tr("Looks through all named cameras and a ring of sixteen round what is placed"))
        self.go.clicked.connect(self.ask)
        self.take = QPushButton(tr("Set it so"))
        self.take.setObjectName("main")
        self.take.clicked.connect(self.apply)
        for b in (self.go, self.take):
            buttons.addWidget(b)
        buttons.addStretch()
        left.addLayout(buttons)
        row.addLayout(left, 4)
        self.words = QLabel()
        self.words.setTextFormat(Qt.TextFormat.RichText)
        self.words.setWordWrap(True)
        self.words.linkActivated.connect(self._follow)
        self.words.setAlignment(Qt.AlignmentFlag.AlignTop)
        area = QScrollArea()
        area.setWidgetResizable(True)
        area.setWidget(self.words)
        row.addWidget(area, 6)
        session.changed.connect(session.refresher.later(self.refresh))
        self.refresh()

    @property
    def idle(self) -> bool:
        """Nothing is being worked out."""
        return self.worker.idle

    def _say(self, words: str) -> None:
        self.head.setText(tr(words))

    def refresh(self) -> None:
        """The document or the camera has changed."""
        doc = self.session.doc
        if self.found is not None and doc not in (self.found.doc, self._asked):
            self.found = None
        blended = [o for o in doc.overlays if o.shown and o.places]
        self.go.setText(tr("Stop" if not self.worker.idle else "Ask for advice"))
        enable(self.go, not self.worker.idle or (bool(blended) and bool(doc.cameras)), "Nothing is placed on the stage yet")
        self.take.setVisible(
            self.found is not None and doc is not self.found.doc and bool(self.found.nudges or self.found.settings)
        )
        if self.worker.idle:
            self._say(self._headline())
        self.words.setText(tr(self._list()))
        if self.stage is not None:
            self.ring.show_state(doc, self.found, self.stage.camera)

    def _headline(self) -> str:
        f = self.found
        if f is None:
            return (
                "Compares the drawing order that is set with exact order, from every named camera and all round, and "
                "finds the nudges that come nearest."
            )
        if f.before < 0.005:
            return "The order holds from everywhere: nothing to change."
        if not (f.nudges or f.settings):
            return Message(
                "Nothing better was found; what is left is an error of {before:.2f} of 255 in the mean.", before=f.before
            )
        return Message(
            "Error {before:.2f} of 255 in the mean now, <b>{after:.2f}</b> as proposed.", before=f.before, after=f.after
        )

    def _list(self) -> str:
        f = self.found
        if f is None:
            return ""
        names = {o.id: escape(o.name) for o in self.session.doc.overlays}
        now = {o.id: o.material.nudge for o in self.session.doc.overlays}
        rows = []
        if f.nudges:
            rows.append(
                Message("<b>{head}</b><br>", head=term("Nudges"))
                + joined(
                    "<br>",
                    (
                        Message(
                            "{get}: {nudge} → {nudge2}, gains {gain:.3f}",
                            gain=f.gains.get(k, 0.0),
                            get=names.get(k, "?"),
                            nudge=_nudge(now.get(k, 0)),
                            nudge2=_nudge(v),
                        )
                        for k, v in f.nudges.items()
                    ),
                )
            )
        if f.settings:
            rows.append(
                Message("<b>{head}</b><br>", head=term("Settings"))
                + joined(
                    "<br>",
                    (
                        Message(
                            "{get}: {get2} {value} → {value2}, gains {gain:.3f}",
                            gain=f.gains.get(f"{c.overlay} {c.setting}", 0.0),
                            get=names.get(c.overlay, "?"),
                            get2=term(SETTING_WORDS.get(c.setting, c.setting)),
                            value=term(_value(c.before)),
                            value2=term(_value(c.after)),
                        )
                        for c in f.settings
                    ),
                )
            )
        if f.unsettled:
            rows.append(
                Message("<b>{head}</b><br>", head=term("No order settles"))
                + joined("<br>", (self._conflict(k, c, names) for k, c in enumerate(f.unsettled[:8])))
            )
        if f.free:
            rows.append(
                Message("<b>{head}</b><br>", head=term("In any order")) + named(", ", (names.get(k, "?") for k in f.free))
            )
        if f.by_pairs:
            rows.append(
                Message(
                    "At {pixels} pixels many overlays meet: the order was looked for by pairs of them there. "
                    "What is proposed was rendered.",
                    pixels=f.by_pairs,
                )
            )
        return joined("<br><br>", rows)

    @staticmethod
    def _conflict(k: int, c: Conflict, names: dict[str, str]) -> Message:
        """Who conflicts, where, and what was tried, each with a link."""
        told = [names.get(i, "?") for i in c.overlays]
        if len(told) == 1:
            who: Message = Message("“{get}” with itself", get=told[0])
        elif len(told) == 2:
            who = Message("“{get}” and “{get2}”", get=told[0], get2=told[1])
        else:
            who = joined(term(" › "), (verbatim(f"“{t}”") for t in [*told, told[0]]))
        rows = [
            who
            + Message(
                ": {pixels} pixels, {error:.3f} · {link}Show{end}",
                pixels=c.pixels,
                error=c.error,
                link=f'<a style="color: #f4f4f4" href="show {k}">',
                end="</a>",
            )
        ]
        for n, r in enumerate(c.remedies[:5]):
            rows.append(
                Message(
                    "&nbsp;&nbsp;{remedy} of “{get}”: gains {gain:.3f} where it is seen, "
                    "changes the look by {look:.0f} · {link}Try{end}",
                    remedy=term(r.name),
                    get=names.get(r.overlay, "?"),
                    gain=r.gain,
                    look=r.look,
                    link=f'<a style="color: #f4f4f4" href="try {k} {n}">',
                    end="</a>",
                )
            )
        if c.tried and not c.remedies:
            rows.append(Message("&nbsp;&nbsp;Nothing that can be set gains anything here."))
        return joined("<br>", rows)

    def _follow(self, link: str) -> None:
        """Go to the pixels of a conflict, or make one of its remedies."""
        if self.found is None:
            return
        does, *which = link.split()
        conflict = self.found.unsettled[int(which[0])]
        if does == "show":
            if self.stage is not None:
                self.stage.look(conflict.camera)
                self.stage.marked = conflict.at
                self.stage.update()
            return
        remedy, nudges, settings = conflict.remedies[int(which[1])], self.found.nudges, self.found.settings

        def edit(doc: Document) -> Document:
            doc = applied(doc, nudges, settings)  # what was proposed, on top of which it was tried
            for e in remedy.edits:
                doc = e(doc)
            return doc

        name = next((o.name for o in self.session.doc.overlays if o.id == remedy.overlay), "?")
        self.session.apply(Message("Try {remedy} of “{name}”", remedy=term(remedy.name), name=name), edit)

    def ask(self) -> None:
        """Ask the adviser, or stop it."""
        if not self.worker.idle:
            self.worker.halt()
            return
        doc = self.session.doc
        state = self.engine.snapshot()
        cameras = [*doc.cameras, *ring(doc, ROUND)]
        self._asked = doc

        def work(report: Callable[[object], None], stopped: Callable[[], bool]) -> Proposal:
            return propose(state, cameras, stop=stopped, tell=report)

        self.worker.busy.connect(self._busy, Qt.ConnectionType.UniqueConnection)
        self.worker.ask(None, work)
        self._say("Looking from all sides …")
        self.go.setText(tr("Stop"))

    def _busy(self, on: bool) -> None:
        if not on:
            self.refresh()

    def _tell(self, _token: object, share: object) -> None:
        self._say(Message("Looking from all sides … {share:.0%}", share=float(share)))  # type: ignore[arg-type]

    def _take(self, _token: object, found: object) -> None:
        assert isinstance(found, Proposal)
        self.found = found
        self.refresh()

    def apply(self) -> None:
        """Make the proposal's changes, as one edit."""
        f = self.found
        if f is not None:
            made = f.doc
            self.session.apply("Set the drawing order", lambda _d: made)
            self.refresh()

    def _turn(self, yaw: float) -> None:
        if self.stage is not None:
            self.stage.look(self.stage.camera.model_copy(update={"yaw": yaw}))

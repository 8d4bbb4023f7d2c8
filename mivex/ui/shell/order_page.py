"""The tray's page for the drawing order: how wrong it is, from where, and what would mend it."""

from collections.abc import Callable
from typing import Any

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QHBoxLayout, QLabel, QPushButton, QScrollArea, QVBoxLayout, QWidget

from mivex.core.advice.inspection import Stage
from mivex.core.advice.order import Proposal, propose, ring
from mivex.ui.fields.labels import enable
from mivex.ui.proofs.ring import Ring
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session

ROUND = 16
"""Cameras on the ring."""
SETTING_WORDS = {"group": "draw group", "depth_write": "depth write"}


def _value(v: Any) -> str:
    return {True: "on", False: "off"}.get(v, str(v)) if isinstance(v, bool) else str(v)


def _nudge(n: int) -> str:
    return f"{n:+d}".replace("-", "−") if n else "0"


class OrderPage(QWidget):
    """The adviser."""

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
        self.go = QPushButton("Ask for advice")
        self.go.setToolTip("Looks through all named cameras and a ring of sixteen round what is placed")
        self.go.clicked.connect(self.ask)
        self.take = QPushButton("Set it so")
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
        self.head.setText(words)

    def refresh(self) -> None:
        """The document or the camera has changed."""
        doc = self.session.doc
        if self.found is not None and doc not in (self.found.doc, self._asked):
            self.found = None
        blended = [o for o in doc.overlays if o.shown and o.places]
        self.go.setText("Stop" if not self.worker.idle else "Ask for advice")
        enable(self.go, not self.worker.idle or (bool(blended) and bool(doc.cameras)), "Nothing is placed on the stage yet")
        self.take.setVisible(
            self.found is not None and doc is not self.found.doc and bool(self.found.nudges or self.found.settings)
        )
        if self.worker.idle:
            self._say(self._headline())
        self.words.setText(self._list())
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
            return f"Error {f.before:.2f} of 255 in the mean; no other order does better."
        return f"Error {f.before:.2f} of 255 in the mean now, <b>{f.after:.2f}</b> as proposed."

    def _list(self) -> str:
        f = self.found
        if f is None:
            return ""
        names = {o.id: o.name for o in self.session.doc.overlays}
        now = {o.id: o.material.nudge for o in self.session.doc.overlays}
        rows = []
        if f.nudges:
            rows.append(
                "<b>Nudges</b><br>"
                + "<br>".join(f"{names.get(k, '?')}: {_nudge(now.get(k, 0))} → {_nudge(v)}" for k, v in f.nudges.items())
            )
        if f.settings:
            rows.append(
                "<b>Settings</b><br>"
                + "<br>".join(
                    f"{names.get(c.overlay, '?')}: {SETTING_WORDS.get(c.setting, c.setting)} {_value(c.before)} → "
                    f"{_value(c.after)}"
                    for c in f.settings
                )
            )
        if f.unsettled:
            rows.append(
                "<b>No order settles</b><br>"
                + "<br>".join(
                    (
                        f"{names.get(p.a, '?')} and {names.get(p.b, '?')}"
                        if p.a != p.b
                        else f"{names.get(p.a, '?')} with itself"
                    )
                    + f": {p.pixels} pixels, {p.error:.3f}; would settle it: {p.settles}"
                    for p in f.unsettled[:8]
                )
            )
        if f.free:
            rows.append("<b>In any order</b><br>" + ", ".join(names.get(k, "?") for k in f.free))
        return "<br><br>".join(rows)

    def ask(self) -> None:
        """Ask the adviser, or stop it."""
        if not self.worker.idle:
            self.worker.halt()
            return
        doc = self.session.doc
        state = Stage(doc, dict(self.engine.stage_textures()), dict(self.engine.results.meshes()))
        cameras = [*doc.cameras, *ring(doc, ROUND)]
        self._asked = doc

        def work(report: Callable[[object], None], stopped: Callable[[], bool]) -> Proposal:
            return propose(state, cameras, stop=stopped, tell=report)

        self.worker.busy.connect(self._busy, Qt.ConnectionType.UniqueConnection)
        self.worker.ask(None, work)
        self._say("Looking from all sides …")
        self.go.setText("Stop")

    def _busy(self, on: bool) -> None:
        if not on:
            self.refresh()

    def _tell(self, _token: object, share: object) -> None:
        self._say(f"Looking from all sides … {float(share):.0%}")  # type: ignore[arg-type]

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

"""The window: rack, track, proofs, controls, tray."""

from PySide6.QtCore import Qt, QTimer
from PySide6.QtWidgets import (
    QButtonGroup,
    QHBoxLayout,
    QLabel,
    QSplitter,
    QStackedWidget,
    QVBoxLayout,
    QWidget,
)

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term
from mivex.core.findings import likely
from mivex.core.scene.stage_painter import StagePainter
from mivex.core.scene.varied import varied_settings
from mivex.demo import PROJECT
from mivex.ui import theme
from mivex.ui.fields.line import FieldKeys, commit_typing
from mivex.ui.proofs.flat_proof import FlatProof
from mivex.ui.proofs.layer_painter import LayerPainter
from mivex.ui.proofs.life_chart import LifeChart
from mivex.ui.proofs.outgoing import Outgoing
from mivex.ui.proofs.stage_proof import StageProof
from mivex.ui.session.desk import PlaybackController
from mivex.ui.session.engine import Engine
from mivex.ui.session.recovery import Recovery
from mivex.ui.session.session import Session, title_of
from mivex.ui.session.shipping import Shipping
from mivex.ui.shell.actions import build_menus
from mivex.ui.shell.build_sheet import BuildSheet, ask_pictures
from mivex.ui.shell.busy import Busy
from mivex.ui.shell.controls import Controls
from mivex.ui.shell.fewer_sheet import FewerSheet
from mivex.ui.shell.following import Following
from mivex.ui.shell.lesson_sheet import LessonSheet
from mivex.ui.shell.rack import Rack
from mivex.ui.shell.shortcuts import ShortcutSheet
from mivex.ui.shell.tour import Tour
from mivex.ui.shell.track import Track
from mivex.ui.shell.tray import Tray
from mivex.ui.shell.whatif_sheet import WhatIf
from mivex.ui.shell.window_shape import remember
from mivex.ui.stations import STATIONS
from mivex.ui.tools.effects import fire_ahead
from mivex.ui.tools.paths import Paths


class Window(Following):
    """Main window."""

    def __init__(self) -> None:
        super().__init__()
        self.session = Session(self)
        self.engine = Engine(self.session, self)
        self.desk = PlaybackController(self.session, self)
        self.desk.meshes = self.engine.results.meshes
        self.rack: Rack = Rack(self.session, self.engine)
        self.track: Track = Track()
        self.flat = FlatProof(self.session, self.engine)
        self.stage = StageProof(self.session, self.engine, self.desk, self.ask_picture)
        self.chart = LifeChart(self.session, self.desk)
        self.shipping = Shipping(self.session, self)
        self.outgoing = Outgoing(self.session, self.shipping)
        self.controls = Controls(self.session, self.engine, self.desk, self.ask_picture)
        self.tray = Tray(self.session, self.engine, self.desk)
        self.desk.ready = lambda: self.stage.canvas.worker.idle
        self.sheet: WhatIf | None = None
        self.fewer: FewerSheet | None = None
        self.lesson: LessonSheet | None = None
        self.tour: Tour | None = None
        self.remembers = False
        self.jobs, self.saver = self.session.jobs, self.session.saver
        self.shipper = self.session.workers.queue("deliveries")
        self.finder = self.session.workers.queue("finder")
        self.disk = self.session.workers.latest("disk")
        self.recovery = Recovery(self.session, self)
        self.layer_painter = LayerPainter(self.session, self.engine, self)
        self.layer_painter.flat_view = lambda: self.flat.canvas.screen_view
        self.flat.canvas.paths = Paths(self.layer_painter)
        self.flat.canvas.layer_painter = self.stage.canvas.layer_painter = self.layer_painter
        self.tray.ledger.stage = self.tray.order.stage = self.stage.canvas
        self.setAcceptDrops(True)
        self.field_keys = FieldKeys(self)
        self._lay_out()
        self._menus()
        self._connect()
        self.resize(1280, 800)
        self.setMinimumSize(1100, 680)
        self._refresh()
        self.flat.canvas.setFocus()

    # Building ------------------------------------------------------------------------------------

    def _lay_out(self) -> None:
        top = QWidget()
        row = QHBoxLayout(top)
        row.setContentsMargins(0, 0, 10, 0)
        row.setSpacing(0)
        row.addSpacing(212)
        row.addWidget(self.track)
        row.addStretch()
        self.arrangement = QButtonGroup(self)
        for key, tip in (
            ("both", "Flat proof and stage   (F2)"),
            ("flat", "Flat proof alone   (F3)"),
            ("stage", "Stage alone   (F4)"),
        ):
            button = theme.tool(key, tip, checkable=True)
            button.setProperty("key", key)
            button.setFocusPolicy(Qt.FocusPolicy.NoFocus)
            button.clicked.connect(lambda _=False, k=key: self.arrange(k))  # type: ignore[misc]
            self.arrangement.addButton(button)
            row.addWidget(button)
        self.proofs = QSplitter(Qt.Orientation.Horizontal)
        self.proofs.setHandleWidth(4)
        self.proofs.setChildrenCollapsible(False)
        self.left = QStackedWidget()
        self.left.addWidget(self.flat)
        self.left.addWidget(self.chart)
        self.left.addWidget(self.outgoing)
        self.proofs.addWidget(self.left)
        self.proofs.addWidget(self.stage)
        self.proofs.setSizes([380, 380])
        self.notice = QLabel("")
        self.notice.setObjectName("equation")
        self.notice.setWordWrap(True)
        self.notice.hide()
        self.busy = Busy()
        self.busy.stop_wanted.connect(self.stop)
        self._notice_timer = QTimer(self, singleShot=True, interval=9000)
        self._notice_timer.timeout.connect(self.notice.hide)
        middle = QHBoxLayout()
        middle.setSpacing(4)
        centre = QVBoxLayout()
        centre.setSpacing(0)
        centre.addWidget(self.proofs, 1)
        centre.addWidget(self.notice)
        centre.addWidget(self.busy)
        middle.addWidget(self.rack)
        middle.addLayout(centre, 1)
        middle.addWidget(self.controls)
        page = QWidget()
        column = QVBoxLayout(page)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        column.addWidget(top)
        column.addLayout(middle, 1)
        column.addWidget(self.tray.grip)
        column.addWidget(self.tray)
        self.setCentralWidget(page)
        self.arrange("both")

    def _menus(self) -> None:
        made = build_menus(self)
        self.undo_action, self.redo_action = made["Undo"], made["Redo"]

    def _connect(self) -> None:
        self.track.went.connect(self.go)
        self.rack.add_wanted.connect(self.ask_add)
        self.rack.framed.connect(self.frame_chosen)
        self.tray.shown.connect(self.show_finding)
        self.tray.learn_wanted.connect(self.teach)
        self.tray.mend_all_wanted.connect(self.mend_all)
        self.stage.canvas.pointed.connect(self._point)
        self.stage.canvas.moved.connect(self.tray.ledger.refresh)
        self.stage.canvas.moved.connect(self.tray.order.refresh)
        self.tray.ledger.lit.connect(self._light)
        self.controls.deliver_wanted.connect(self.ask_deliver)
        self.controls.card_wanted.connect(self.open_card)
        self.controls.recipe_wanted.connect(self.ask_delivery_recipe)
        self.shipping.said.connect(self.tell)
        self.outgoing.flow.said.connect(self.tell)
        self.stage.canvas.moved.connect(self._follow_intake)
        self.outgoing.intake.picture.sized.connect(self._follow_intake)
        self.stage.canvas.worker.done.connect(lambda *_: self._follow_intake())
        self.controls.add_wanted.connect(self.ask_add)
        self.controls.demo_wanted.connect(self.open_demo)
        self.controls.tour_wanted.connect(self.toggle_tour)
        self.controls.canvas_wanted.connect(self.add_canvas)
        self.controls.pick_wanted.connect(self._pick)
        self.controls.paint_wanted.connect(self._paint)
        self.controls.look_wanted.connect(self.flat.show_view)
        self.flat.reference_wanted.connect(self.ask_reference)
        self.explainer = self.session.workers.latest("explain")
        self.explainer.done.connect(lambda _t, words: self.controls.hint.say(words))
        self.flat.canvas.rested.connect(self._explain)
        self.layer_painter.patched.connect(self.flat.canvas.patch)
        for told in (self.session.changed, self.session.stepped, self.session.chosen, self.engine.inputs_ready):
            told.connect(self.session.refresher.later(self._follow_layers))
        self.engine.prepared.connect(self.session.refresher.later(self._follow_layers))
        self.flat.painting_ended.connect(self.controls.set_painting)
        self.engine.notice.connect(self.tell)
        self.desk.said.connect(self.tell)
        # Outlines are worked out with the stage's picture.
        self.stage.canvas.worker.done.connect(
            lambda *_: self._follow_layers() if self.controls.station == "sheet" else None
        )
        self.desk.framed.connect(self._frame)
        self.desk.fewer_wanted.connect(self.ask_fewer)
        self.controls.sheet_wanted.connect(self.build_sheet)
        self.desk.told.connect(self.session.refresher.later(self._follow_effect))
        self.chart.hint.connect(lambda words: self.controls.hint.say(words) if words else None)
        for on, said in (
            (self.engine.busy, self.engine.progress),
            (self.jobs.busy, self.jobs.said),
            (self.shipper.busy, self.shipper.said),
        ):
            on.connect(self.busy.set_busy)
            said.connect(self.busy.say)
        self.engine.examined.connect(self.session.refresher.later(self._refresh))
        for signal in (self.session.changed, self.session.chosen, self.session.filed):
            signal.connect(self.session.refresher.later(self._refresh))
        for worker in (self.jobs, self.shipper, self.finder, self.saver, self.disk):
            worker.done.connect(lambda _t, text: self.tell(str(text)) if text else None)
        self.saver.failed.connect(lambda stay, _why: stay() if callable(stay) else None)
        self.session.workers.failed.connect(self.tell)
        self.recovery.failed.connect(self.tell)

    # State ---------------------------------------------------------------------------------------

    def _refresh(self) -> None:
        s = self.session
        self.setWindowTitle(tr(Message("{title} — Mivex", title=term(title_of(s)))))
        self.undo_action.setEnabled(bool(s.undo_label))
        self.redo_action.setEnabled(bool(s.redo_label))
        self.undo_action.setText(
            tr(Message("Undo: {undo_label}", undo_label=term(s.undo_label)) if s.undo_label else "Undo")
        )
        self.redo_action.setText(
            tr(Message("Redo: {redo_label}", redo_label=term(s.redo_label)) if s.redo_label else "Redo")
        )
        self.track.show_state(s.overlay, self.controls.station, likely(self.engine.results.findings_of(s.overlay_id)))

    def build_sheet(self, how: str) -> None:
        """Ask how a sheet is to be built, and build it."""
        o = self.session.overlay
        if o is None:
            return
        paths = ask_pictures(self, self.session.folder, how) if how in ("pictures", "animated") else []
        if how in ("pictures", "animated") and not paths:
            return
        settings = varied_settings(o) if how == "varied" else []
        if how == "varied" and not settings:
            self.tell(Message("“{name}” has no number that frames could differ in: add a layer or a step.", name=o.name))
            return
        dialog = BuildSheet(how, self, frames=len(paths), settings=settings)
        if dialog.exec():
            self.make_sheet(how, paths, dialog.values, dialog.layout_wanted)

    def ask_fewer(self) -> None:
        """Ask how many particles of the chosen effect may live at once."""
        if self.desk.effect is not None:
            self.fewer = FewerSheet(self.session, self.engine, self.desk, self)
            self.fewer.open()

    def what_if(self) -> None:
        """Show the chosen overlay under all seven blends."""
        o = self.session.overlay
        if o is None or not o.places:
            self.tell("Choose an overlay that stands on the stage.")
            return
        self.sheet = WhatIf(self.session, self.engine, self.stage.canvas, self)
        self.sheet.open()

    @property
    def at_work(self) -> list[str]:
        """Names of the workers that have something to do; while the clock runs the desk and the stage always have."""
        endless = (self.desk.worker.name, self.stage.canvas.worker.name) if self.desk.playing else ()
        return [name for name in self.session.workers.busy if name not in endless]

    @property
    def idle(self) -> bool:
        """Nothing is being computed, nor about to be."""
        return self.session.refresher.idle and not (
            self.at_work or self.engine.reloading or self.tray.ledger.asking or self.stage.canvas.moving
        )

    def tell(self, sentence: str) -> None:
        """Show one sentence under the proofs for a while."""
        self.notice.setText(tr(sentence))
        self.notice.show()
        self._notice_timer.start()

    def stop(self) -> None:
        """Stop whatever is being computed."""
        self.jobs.halt()
        self.shipper.halt()
        if not self.engine.idle:
            self.engine.stop()

    def go(self, station: str) -> None:
        """Go to a station of the track."""
        if station == "motion" and self.controls.station != "motion":
            self.tray.show_page("clock")
        if STATIONS[station].tall != STATIONS[self.controls.station].tall:
            self.tray.fold(STATIONS[station].tall)
        self.controls.go(station)
        self._follow_effect()
        self._follow_layers()
        self._refresh()

    def fire_ahead(self) -> None:
        """Fire the chosen effect before the camera."""
        if not fire_ahead(self.stage.canvas):
            self.tell("Choose an effect at Motion first.")

    def arrange(self, key: str) -> None:
        """Show ``both`` proofs, or ``flat`` or ``stage`` alone."""
        self.left.setVisible(key != "stage")
        self.stage.setVisible(key != "flat")
        for b in self.arrangement.buttons():
            b.setChecked(b.property("key") == key)

    def teach(self, check: str = "") -> None:
        """Show the page about a finding; of the chosen one where none is named."""
        current = self.tray.current
        self.lesson = LessonSheet(self.session.workers, check or (current.id if current else ""), self)
        self.lesson.open()

    def toggle_tour(self) -> None:
        """Begin the tour of the demo, which is opened first; once more: leave it."""
        if self.tour is not None:
            self.tour.end()
            return

        def begin() -> None:
            self.tour = Tour(self)
            self.tour.left.connect(lambda: setattr(self, "tour", None))
            self.tour.go(0)

        if self.session.path == PROJECT:
            begin()
        else:
            self.open(str(PROJECT), then=begin)

    def show_keys(self) -> None:
        """Show the sheet of keys."""
        ShortcutSheet(self).exec()

    def next_camera(self) -> None:
        """Look from the next camera."""
        rows = self.session.doc.cameras
        at = next((i for i, c in enumerate(rows) if c == self.stage.canvas.camera), -1)
        self.stage.canvas.look(rows[(at + 1) % len(rows)])

    def end(self) -> None:
        """Stop every thread."""
        if self.remembers:
            remember(self, self.proofs, self.tray)
        self.desk.play(False)
        self.session.workers.end()
        self._give_back()

    def _give_back(self) -> None:
        """Whoever still holds the window after it is closed does not hold its pictures."""
        self.session.evaluator.graph.cache.clear()
        self.engine.results.clear()
        self.flat.canvas.texture = self.flat.canvas.before = self.flat.canvas.piece = None
        self.tray.measured.result = None
        self.layer_painter.forget()
        self.stage.canvas.painter = StagePainter()

    def look_from_first(self) -> None:
        """Let the stage look from the first camera of the project."""
        self.stage.canvas.look(next(iter(self.session.doc.cameras), self.stage.canvas.camera))

    def commit_typing(self) -> None:
        """What is half typed in a field becomes an edit."""
        commit_typing(self)

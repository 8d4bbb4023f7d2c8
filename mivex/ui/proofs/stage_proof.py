"""The stage in the window: orbit, pan, zoom; placements are selected, moved, turned and scaled in the picture."""

from collections.abc import Callable

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QHBoxLayout, QInputDialog, QLabel, QVBoxLayout, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term
from mivex.core.findings.finding import Moment, Pixel
from mivex.core.project import edits
from mivex.core.project.document import Document
from mivex.core.stage.looks import HINTS, LOOKS
from mivex.ui import theme
from mivex.ui.fields.fields import QuietCombo
from mivex.ui.fields.labels import Elided
from mivex.ui.proofs.light import LightDial, LightPanel
from mivex.ui.proofs.stage_canvas import StageCanvas
from mivex.ui.session.desk import PlaybackController
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session

TIP = "Drag turns, Shift-drag pans, wheel comes near."
PAINT_TIP = "Drag paints on it, beside it turns. Ctrl+wheel: size."


class StageProof(QWidget):
    """Stage canvas with its header."""

    def __init__(
        self, session: Session, engine: Engine, desk: PlaybackController, choose_file: Callable[[str], str]
    ) -> None:
        super().__init__()
        self.session, self.desk = session, desk
        self.canvas = StageCanvas(session, engine, desk)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        head = QWidget()
        head.setObjectName("strip")
        head.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        head.setFixedHeight(theme.HEAD)
        beside = QHBoxLayout(head)
        beside.setContentsMargins(8, 5, 6, 5)
        beside.setSpacing(6)
        rows = QVBoxLayout()
        rows.setSpacing(3)
        beside.addLayout(rows, 1)
        self.dial = LightDial(session)
        beside.addWidget(self.dial)
        top, low = QHBoxLayout(), QHBoxLayout()
        rows.addLayout(top)
        rows.addLayout(low)
        self.cameras = QuietCombo()
        self.cameras.setAccessibleName(tr("Camera"))
        self.cameras.setToolTip(tr("Camera   (C)"))
        self.cameras.setMinimumWidth(70)
        self.cameras.setMaximumWidth(116)
        self.cameras.activated.connect(self._look)
        top.addWidget(self.cameras)
        keep = theme.tool("keep", "Keep this view as a camera")
        keep.clicked.connect(self._keep)
        top.addSpacing(2)
        top.addWidget(keep)
        self.looks = QuietCombo()
        self.looks.setAccessibleName(tr("Seen as"))
        self.looks.setMinimumWidth(84)
        self.looks.setMaximumWidth(136)
        for key, words in LOOKS.items():
            self.looks.addItem(tr(words), key)
            self.looks.setItemData(self.looks.count() - 1, tr(HINTS[key]), Qt.ItemDataRole.ToolTipRole)
        self.looks.setToolTip(tr("What the stage shows: colour, or why it is so   (N)"))
        self.looks.activated.connect(lambda row: self.see_as(list(LOOKS)[row]))
        top.addWidget(self.looks)
        top.addStretch()
        self._choose_file = choose_file
        self._panel: LightPanel | None = None
        self.light_button = theme.tool("lamp", "Light and surroundings   (K)")
        self.light_button.clicked.connect(self.open_light)
        top.addWidget(self.light_button)
        self.order = Elided("soft")
        self.order.setMinimumHeight(24)
        low.addWidget(self.order, 1)
        self.place = QLabel()
        self.place.setObjectName("soft")
        self.place.setFont(theme.figures_font())
        low.addWidget(self.place)
        column.addWidget(head)
        column.addWidget(self.canvas, 1)
        self.tip = Elided("figure")
        self.tip.setText(tr(TIP))
        self.tip.setContentsMargins(10, 3, 10, 3)
        column.addWidget(self.tip)
        session.changed.connect(self.refresh)
        session.chosen.connect(self.refresh)
        self.canvas.moved.connect(self.refresh)
        self._doc: Document | None = None
        self.refresh()

    def open_light(self) -> None:
        """Show the settings of the light and the surroundings."""
        self.light_panel.open_under(self.light_button)

    @property
    def light_panel(self) -> LightPanel:
        """The settings of the light, made when they are first wanted."""
        if self._panel is None:
            self._panel = LightPanel(self.session, self, self._choose_file)
        return self._panel

    def refresh(self) -> None:
        """Show cameras and the selected placement."""
        self._hint()
        names = [c.name for c in self.session.doc.cameras]
        if [self.cameras.itemText(i) for i in range(len(names))] != names or self.cameras.count() > len(names) + 1:
            self.cameras.clear()
            self.cameras.addItems(names)
        here = next((i for i, c in enumerate(self.session.doc.cameras) if c == self.canvas.camera), -1)
        self.cameras.setCurrentIndex(here)
        self.cameras.setPlaceholderText(tr("Free view"))
        o, p = self.session.overlay, self.canvas.place
        if o is None:
            self.order.setText(tr("Nothing placed yet"))
            self.place.setText("")
            return
        nudge = f" {o.material.nudge:+d}" if o.material.nudge else ""
        self.order.setText(
            tr(
                Message(
                    "{blend} · group {group}{nudge}",
                    blend=term(o.material.blend),
                    group=term(o.material.group),
                    nudge=term(nudge),
                )
            )
        )
        if not o.shown:
            self.place.setText(tr("hidden"))
        elif p is None:
            self.place.setText(tr("not placed"))
        else:
            self.place.setText(tr(Message("{width:.2f} × {height:.2f} m", width=p.width, height=p.height)))

    def see_as(self, look: str) -> None:
        """Show colour, or one of the other looks, with its scale."""
        self.looks.setCurrentIndex(list(LOOKS).index(look))
        self.looks.setToolTip(tr(HINTS[look]))
        self.canvas.see_as(look)
        self._hint()

    def _hint(self) -> None:
        """What the mouse does here."""
        look = self.canvas.seen_as
        usual = PAINT_TIP if self.canvas.on_layer else TIP
        self.tip.setText(tr(HINTS[look] if look != "colour" else usual))

    def next_look(self) -> None:
        """Go on to the next look."""
        rows = list(LOOKS)
        self.see_as(rows[(rows.index(self.canvas.seen_as) + 1) % len(rows)])

    def show_place(self, place: object) -> None:
        """Look from the camera that a finding names, and mark its pixel."""
        if isinstance(place, Pixel):
            camera = next((c for c in self.session.doc.cameras if c.name == place.camera), None)
            if camera is not None:
                self.canvas.look(camera)
            self.canvas.marked = place.x, place.y
            self.canvas.update()
        elif isinstance(place, Moment):
            found = next((e for e in self.session.doc.effects if e.name == place.effect), None)
            if found is not None:
                self.desk.choose(found.id)
            self.desk.play(False)
            self.desk.go_to(place.seconds)

    def _look(self, row: int) -> None:
        self.canvas.look(self.session.doc.cameras[row])

    def _keep(self) -> None:
        name, ok = QInputDialog.getText(self, tr("Keep this view"), tr("Name of the camera:"))
        if ok and name.strip():
            camera = self.canvas.camera.model_copy(update={"name": name.strip()})
            self.session.apply("Keep view", lambda d: edits.set_camera(d, camera))
            self.canvas.look(camera)

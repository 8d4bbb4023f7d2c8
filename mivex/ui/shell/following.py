"""What the parts of the window need to know of each other: what the proofs show at a station, and where clicks go."""

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QStackedWidget

from mivex.core.base.kept import cached_or_none
from mivex.core.findings import CHECKS, Finding, Texels
from mivex.core.project.layering import EvaluationRequest
from mivex.core.project.looking import texel_explained, words_of
from mivex.core.scene.playback import hull_key
from mivex.core.stage.camera import View
from mivex.core.stage.face_selection import faces_of
from mivex.core.stage.placement_geometry import with_uvs
from mivex.ui.proofs.flat_proof import FlatProof
from mivex.ui.proofs.layer_painter import LayerPainter
from mivex.ui.proofs.life_chart import LifeChart
from mivex.ui.session.desk import PlaybackController
from mivex.ui.session.worker import LatestOnlyWorker
from mivex.ui.shell.controls import Controls
from mivex.ui.shell.files import FileActions
from mivex.ui.shell.rack import Rack
from mivex.ui.shell.track import Track, station_of
from mivex.ui.shell.tray import Tray
from mivex.ui.tools.grid import Cells


class Following(FileActions):
    """The part of the window that keeps its parts in step."""

    rack: Rack
    track: Track
    controls: Controls
    flat: FlatProof
    tray: Tray
    desk: PlaybackController
    left: QStackedWidget
    chart: LifeChart
    layer_painter: LayerPainter
    explainer: LatestOnlyWorker

    def arrange(self, key: str) -> None:
        """Show ``both`` proofs, or ``flat`` or ``stage`` alone."""
        raise NotImplementedError

    def _paint(self, on: bool) -> None:
        layers = self.controls.station == "layers"
        self.layer_painter.set_on(on and layers, self.controls.painted_part)
        self.flat.set_painting(on and not layers)
        self.stage.refresh()
        self._follow_layers()
        self.flat.canvas.update()
        self.stage.canvas.update()

    def _explain(self, x: float, y: float) -> None:
        """Say which layer gave each channel its value under the pointer."""
        o, evaluator, doc = self.session.overlay, self.session.evaluator, self.session.doc
        if self.controls.station == "layers" and o is not None and o.layers.rows and not self.layer_painter.points:
            self.explainer.ask(
                None, lambda _r, _s: words_of(texel_explained(evaluator, o, EvaluationRequest(doc=doc), x, y))
            )

    def ask_reference(self) -> None:
        """Ask for a picture to be pinned beside the flat proof."""
        if self.session.overlay is not None and (path := self.ask_picture("file")):
            self.flat.pin(path)

    def paint(self) -> None:
        """Begin or end painting on the chosen layer."""
        if self.session.overlay is None:
            return
        if self.controls.station != "layers":
            self.go("layers")
        if self.session.overlay.layers.row(self.session.row_id) is None:
            self.tell("Choose a layer to paint on, or add one.")
            return
        self.controls.paint_part(-1, not self.controls.painting)

    def _follow_layers(self) -> None:
        """What the proofs need to know of the station Layers: UV outlines, and whether clicks choose faces."""
        c, o = self.controls, self.session.overlay
        here = c.station == "layers" and o is not None
        if self.layer_painter.on and (not here or o is None or o.layers.row(self.session.row_id) is None):
            c.set_painting(False)
        choosing = here and c.faces.part >= 0
        row = o.layers.row(self.session.row_id) if here and o is not None else None
        mesh = (
            c.faces.mesh()
            if choosing
            or (
                here
                and c.session.column == "mask"
                and row is not None
                and any(p.source == "region" for p in row.mask.parts)
            )
            else None
        )
        flat = self.flat.canvas
        flat.mesh = mesh
        flat.uv_set = o.material.mapping.uv_set if o is not None else 0
        part = (
            next((p for i, p in enumerate(row.mask.parts) if p.source == "region" and c.faces.part in (i, -1)), None)
            if row is not None
            else None
        )
        there = faces_of(part.faces, len(mesh.index)).tolist() if part is not None and mesh is not None else ()
        flat.faces = frozenset(there)
        take = c.faces.take if choosing and mesh is not None else None
        laid = c.faces.laid_place()
        if c.station == "place" and c.faces.second_by and laid is not None and o is not None:
            # The first set is shown: that is how the file has its faces.
            mesh = self.engine.results.meshes().get(laid.path)
            flat.mesh, flat.uv_set = mesh, 0
            flat.faces = frozenset(faces_of(laid.second.faces, len(mesh.index)).tolist() if mesh is not None else ())
            take = c.faces.take_second if mesh is not None else None
        flat.mapping = None
        flat.cells = self._cells() if c.station == "sheet" and o is not None else None
        if c.station == "place" and not c.faces.second_by and laid is not None and o is not None:
            found = self.engine.results.meshes().get(laid.path)
            # What is unwrapped is drawn here once the stage has done so: the window does not compute.
            if found is not None and (laid.second.how == "file" or self.stage.canvas.image is not None):
                flat.mesh, flat.uv_set, flat.faces = with_uvs(laid, found), o.material.mapping.uv_set, frozenset()
                flat.mapping = o.material.mapping
        flat.choose_face = self.stage.canvas.choose_face = take
        self.flat.show_layers(here)
        flat.update()

    def _cells(self) -> Cells | None:
        """The chosen sheet's cells, as the flat proof draws them; what the mouse fits is the grid of the picture itself."""
        o = self.session.overlay
        r = self.engine.get(o.id) if o is not None else None
        if o is None or r is None or r.texture is None or not o.sheet.grids:
            return None
        outlines = cached_or_none(r.texture, hull_key(o.sheet)) if o.sheet.hull >= 4 else None
        full = (r.picture.width, r.picture.height) if r.picture is not None else r.texture.full_size
        # Steps that give cells of another size have scaled the grid.
        same = r.texture.full_size == full and r.texture.extent == (1.0, 1.0)
        return Cells(
            r.texture.traits.cells,
            outlines if isinstance(outlines, list) else None,  # type: ignore[arg-type]
            o.sheet.grids[0] if same else None,
            full,
        )

    def _frame(self, number: int) -> None:
        self.flat.canvas.frame_now = number
        if self.flat.canvas.cells is not None:
            self.flat.canvas.update()

    def _follow_effect(self) -> None:
        """At Motion the chart of a life stands in place of the flat proof, and the clock in the tray."""
        here = self.controls.station == "motion"
        leaving = self.controls.station == "deliver"
        self.left.setCurrentWidget(self.chart if here else self.outgoing if leaving else self.flat)
        self._follow_intake()
        self.stage.canvas.effects_marked = here
        self.desk.watch(here or self.tray.page == "clock")
        self.stage.canvas.update()

    def _follow_intake(self) -> None:
        """The intake looks from where the stage does."""
        c = self.stage.canvas
        seen = self.outgoing.intake.picture
        if self.controls.station == "deliver" and self.shipping.folder and not c.moving and seen.width() > 1:
            k = seen.devicePixelRatioF()
            self.shipping.look(View(c.camera, round(seen.width() * k), max(1, round(seen.height() * k)), c.view.time))

    def _pick(self, take) -> None:  # type: ignore[no-untyped-def]
        c = self.flat.canvas
        c.picking = True
        i = max(0, self.session.step_index)
        c.pick_from = self.engine.input_of(self.session.overlay_id, i) or self.engine.get(self.session.overlay_id).before
        c.setCursor(Qt.CursorShape.CrossCursor)
        self.tell("Click on the flat proof to take the stored colour there.")

        def once(rgb: object) -> None:
            c.picked.disconnect(once)
            take(rgb)

        c.picked.connect(once)

    def _point(self, x: float, y: float) -> None:
        if self.tray.page == "ledger" and not self.tray.folded:
            self.tray.ledger.point(x, y)

    def _light(self, overlay: str) -> None:
        self.stage.canvas.lit = overlay
        self.stage.canvas.update()

    def pin_pixel(self) -> None:
        """Pin the pixel under the pointer for the ledger, or let it go."""
        if self.tray.page != "ledger":
            self.tray.show_page("ledger")
        self.tray.ledger.pin.toggle()

    def show_finding(self, finding: Finding) -> None:
        """Go to the place of a finding."""
        if finding.overlay != self.session.overlay_id:
            self.session.choose(finding.overlay)
        self.go(station_of(finding))
        look = CHECKS[finding.id].looking(finding)
        if look.proof == "stage":
            self.stage.show_place(finding.place)
            return
        self.flat.refresh()
        self.flat.show_look(look)
        if isinstance(finding.place, Texels) and look.layout == "single" and self.flat.canvas.texture is not None:
            self.flat.canvas.go_to(finding.place)

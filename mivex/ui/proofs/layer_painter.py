"""Carries a stroke from the pointer to the document: composed live in the background, an edit when it ends."""

import math
import time
from collections.abc import Callable
from typing import Any

import numpy as np
from PySide6.QtCore import QObject, QPointF, QRect, Signal
from PySide6.QtGui import QImage

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message
from mivex.core.layers.live import LivePaint
from mivex.core.layers.strokes import PaintStroke, Point, SurfacePoint
from mivex.core.picture.texture import Texture
from mivex.core.project import layer_edits
from mivex.core.project.document import Document
from mivex.core.project.layering import EvaluationRequest, mesh_place
from mivex.core.project.looking import live_paint, texel_explained
from mivex.core.proof.flat import FlatView, paint
from mivex.core.scene.picking import touched_at
from mivex.core.stage.camera import View
from mivex.core.stage.face_selection import face_at, faces_text, picked
from mivex.ui.session.brush import Spot
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session

SLOW, FAST = 0.15, 2.2
"""Speeds of the pointer, shares of the canvas a second, that stand for full and for the least pressure."""
LEAP, LEAP_PIXELS = 0.1, 40.0
"""A stroke that goes farther than this within a few pixels, as shares of the picture or in pixels of the stage at that
distance, has crossed a seam, or the rim of what it is drawn on."""
BETWEEN = 0.15
"""Seconds between edits while a stroke is drawn on the stage."""


class LayerPainter(QObject):
    """Painting on the chosen layer.

    Signals
    -------
    patched(QImage, QRect)
        A piece of the flat proof as the stroke leaves it.
    """

    patched = Signal(object, object)

    def __init__(self, session: Session, engine: Engine, parent: QObject | None = None) -> None:
        super().__init__(parent)
        self.session, self.engine = session, engine
        self.on = False
        self.part = -1
        self.points: list[Point] = []
        self.surface: list[SurfacePoint] = []
        """The same on the mesh, where the stroke goes along its surface."""
        self.across = 0.0
        self.last: Spot | None = None
        self.done: list[PaintStroke] = []
        """Parts of the stroke that are finished: on a mesh it may leave one island and go on in another."""
        self.clearing = False
        self.pen: tuple[float, float] | None = None
        self._faces = ""
        self._seed = 0
        self._last = 0.0
        self._committed = 0.0
        self._target: tuple[str, str, int] | None = None
        """Overlay, row and mask part that the stroke was begun on; what is chosen may change before it ends."""
        self.flat_view: Callable[[], FlatView] | None = None
        self._live: tuple[object, LivePaint] | None = None
        self._begun = False
        self.worker = session.workers.latest("painter", engine.notice.emit)
        self.worker.done.connect(lambda _t, patch: self.patched.emit(*patch) if patch else None)
        self.taker = session.workers.latest("taker", engine.notice.emit)
        self.taker.done.connect(lambda _t, found: self._taken(found))
        session.changed.connect(self.prepare)
        session.stepped.connect(self.prepare)

    def set_on(self, on: bool, part: int = -1) -> None:
        """Begin or end painting."""
        self.on, self.part = on, part
        self.prepare()

    # Getting ready -------------------------------------------------------------------------------

    def _key(self) -> tuple[object, ...]:
        s = self.session
        o = s.overlay
        return (
            o.id if o else "",
            o.layers if o else None,
            s.row_id,
            self.part,
            s.brush.does,
            tuple(s.brush.values),
            s.brush.add,
        )

    def _aim(self) -> tuple[Document, str] | None:
        """The document in which every channel that will be painted is touched already."""
        s = self.session
        o = s.overlay
        row = o.layers.row(s.row_id) if o is not None else None
        if o is None or row is None or not (hasattr(row, "strokes") or self.part >= 0):
            return None
        if self.part >= 0:
            return s.doc, o.id
        # A probe of a stroke says which channels would be touched; it is taken out again.
        probe = s.brush.stroke(((0.5, 0.5, 1.0),), 0, mask=False)
        doc = layer_edits.add_stroke(s.doc, o.id, s.row_id, probe)
        return layer_edits.set_strokes(doc, o.id, s.row_id, lambda strokes: strokes[:-1]), o.id

    def _made(self) -> LivePaint | None:
        """What composes the stroke, from the last time or anew; in the background."""
        return self._live[1] if self._live else None

    def forget(self) -> None:
        """Give back what the next stroke would be composed on."""
        self._live = None

    def prepare(self) -> None:
        """Work out, in the background, everything that a stroke will not change."""
        if not self.on or self.points or self.session.brush.does in ("soften", "smudge"):
            return
        key = self._key()
        # Everything that a stroke does not change is known already.
        if self._live is not None and self._live[0] == key:
            return
        aim = self._aim()
        if aim is None:
            return
        doc, overlay_id = aim
        evaluator, row_id, part = self.session.evaluator, self.session.row_id, self.part

        def work(_report: object, _stopped: object) -> None:
            o = doc.overlay(overlay_id)
            assert o is not None
            try:
                self._live = key, live_paint(evaluator, o, doc, row_id, part)
            except MivexError:
                self._live = None

        self.worker.ask(None, work)

    # A stroke ------------------------------------------------------------------------------------

    @property
    def ready(self) -> bool:
        """Whether a layer, or a painted part of its mask, is chosen to be painted on."""
        return self.on and self._aim() is not None

    def _pressure(self, spot: Spot) -> float:
        now = time.monotonic()
        # For half a second after the pen's last word: a mouse that is moved then has no pressure of its own.
        if self.pen is not None and now - self.pen[1] < 0.5:
            return self.pen[0]
        # Seven tenths at the beginning: nothing is known of the speed yet, and neither full nor faint would be right.
        if self.session.brush.pressure == "full" or not self.points:
            self._last = now
            return 1.0 if self.session.brush.pressure == "full" else 0.7
        px, py, before = self.points[-1]
        way = float(np.hypot(spot.x - px, spot.y - py))
        if self.surface and spot.on is not None:
            # In metres: UVs leap where islands end.
            way = float(np.linalg.norm(np.subtract(spot.on.at, self.surface[-1][:3]))) / spot.on.metre
        speed = way / max(now - self._last, 1e-3)
        self._last = now
        wanted = 1 - 0.7 * min(max((speed - SLOW) / (FAST - SLOW), 0), 1)
        # A third of the way each time: pressure follows the hand, not the jitter of single events.
        return before + (wanted - before) * 0.35

    def begin(self, spot: Spot, *, clearing: bool = False) -> None:
        """A stroke begins at a place."""
        self.clearing, self.points, self.surface, self.done, self._begun = clearing, [], [], [], False
        b = self.session.brush
        self.across = 0.0
        if spot.on is not None and b.on_surface and b.tip.form != "pattern":
            self.across = b.metres * spot.on.metre if b.measure == "metres" else b.pixels * spot.on.pixel
        self._seed = int(time.monotonic() * 1000) % (2**31)
        s = self.session
        self._target = (s.overlay_id, s.row_id, self.part) if s.overlay is not None else None
        self._faces = self._stay(spot.x, spot.y)
        self._committed = time.monotonic()
        self.add(spot)

    def restart(self) -> None:
        """Only the place where the stroke began is kept."""
        self.points, self.surface = self.points[:1], self.surface[:1]

    def apart(self, spot: Spot) -> bool:
        """Whether a place lies so far from the last that the stroke has left what it was drawn on between the two."""
        if not self.points:
            return False
        if self.across > 0:
            return spot.on is None or bool(
                np.linalg.norm(np.subtract(spot.on.at, self.surface[-1][:3])) > LEAP_PIXELS * spot.on.pixel
            )
        return math.hypot(spot.x - self.points[-1][0], spot.y - self.points[-1][1]) > LEAP

    def _stay(self, x: float, y: float) -> str:
        o = self.session.overlay
        place = mesh_place(o) if o is not None else None
        mesh = self.engine.results.mesh_of(place) if place is not None else None
        if o is None or mesh is None or self.session.brush.stay == "anywhere":
            return ""
        if self.session.brush.stay == "region":
            row = o.layers.row(self.session.row_id)
            return (
                next((p.faces for p in row.mask.parts if p.source == "region" and p.faces), "") if row is not None else ""
            )
        uv_set = o.material.mapping.uv_set
        face = face_at(mesh, x, y, uv_set)
        return faces_text(picked(mesh, face, "island", uv_set)) if face >= 0 else ""

    def stroke(self) -> PaintStroke:
        """The stroke so far."""
        part = self._target[2] if self._target else self.part
        on = self.across > 0
        return self.session.brush.stroke(
            () if on else tuple(self.points),
            self._seed,
            mask=part >= 0,
            clearing=self.clearing,
            faces=self._faces,
            surface=tuple(self.surface) if on else (),
            across=round(self.across, 7),
        )

    def add(self, spot: Spot) -> None:
        """Add a place to the stroke under the pointer."""
        x, y, on = spot
        self.last = spot
        if self.across > 0:
            if on is None or (self.surface and np.abs(np.subtract(on.at, self.surface[-1][:3])).sum() < 0.02 * self.across):
                return
            pressure = round(self._pressure(spot), 3)
            self.surface.append((*on.at, *on.normal, pressure))
        elif self.points and abs(x - self.points[-1][0]) + abs(y - self.points[-1][1]) < 2e-4:
            return
        else:
            pressure = round(self._pressure(spot), 3)
        self.points.append((round(x, 5), round(y, 5), pressure))

    def go_on(self, spot: Spot) -> None:
        """It goes on elsewhere: what has been drawn is one part, and another begins."""
        if self.points and not self.session.brush.area:
            self.done.append(self.stroke())
            self.points, self.surface, self._seed, self._begun = [], [], self._seed + 1, False
            self._faces = self._stay(spot.x, spot.y)
        self.add(spot)

    def draw(self, view: FlatView) -> None:
        """Have what was added composed and drawn as the flat proof shows it."""
        stroke = self.stroke()
        if stroke.area or stroke.does in ("soften", "smudge") or view.layout != "single" or view.show in ("fringe", "lit"):
            return

        def work(_report: object, _stopped: object) -> tuple[QImage, QRect] | None:
            live = self._made()
            if live is None:
                return None
            if not self._begun:
                live.begin()
                self._begun = True
            grown = live.grow(stroke, live.values.outside.region)
            return None if grown is None else _drawn(*grown, live.values.outside.size, view)

        self.worker.ask(None, work)

    def take(self, x: float, y: float) -> None:
        """Take the values of the picture at a place for the channels that are painted."""
        o, evaluator, doc = self.session.overlay, self.session.evaluator, self.session.doc
        if o is not None:
            self.taker.ask(None, lambda _r, _s: texel_explained(evaluator, o, EvaluationRequest(doc=doc), x, y))

    def _taken(self, found: Any) -> None:
        values = dict(self.session.brush.values)
        for e in found:
            if e.channel in values:
                values[e.channel] = tuple(round(v, 4) for v in e.value) if len(e.value) == 3 else round(e.value[0], 4)
        self.session.set_brush(values=values)

    def draw_flat(self) -> None:
        """As `draw`, for strokes that are drawn elsewhere."""
        if self.flat_view is not None:
            self.draw(self.flat_view())

    def grow_tip(self, factor: float) -> None:
        """Make the tip larger or smaller."""
        b = self.session.brush
        on_mesh = {
            "metres": round(min(max(b.metres * factor, 0.0005), 10.0), 4),
            "pixels": round(min(max(b.pixels * factor, 0.5), 3000.0), 1),
        }
        size = round(min(max(b.tip.size * factor, 0.001), 2.0), 4)
        self.session.set_brush(tip=b.tip.model_copy(update={"size": size}), **on_mesh)

    def tip_on_screen(self, view: View) -> float:
        """About how many pixels of the stage the tip is across: at the distance that the camera looks at."""
        b, o = self.session.brush, self.session.overlay
        if o is None or mesh_place(o) is None or not b.on_surface:
            return 14.0
        return b.pixels if b.measure == "screen" else b.metres * view.focal / max(view.camera.distance, 1e-3)

    def commit_now(self) -> None:
        """While a stroke is drawn on the stage the document follows every now and then."""
        if time.monotonic() - self._committed > BETWEEN:
            self._commit()
            self._committed = time.monotonic()

    def _commit(self) -> None:
        strokes = (*self.done, self.stroke())
        if self._target is None:
            return
        key, row_id, part = self._target
        words = {"paint": "Paint", "clear": "Clear paint", "soften": "Soften", "smudge": "Draw out"}[strokes[0].does]
        # Whatever else has come into the document since the stroke was begun stays in it.
        self.session.apply(
            words,
            lambda doc: layer_edits.put_strokes(doc, key, row_id, strokes, part),
            Message("{key} {row_id} stroke {seed}", key=key, row_id=row_id, seed=strokes[0].seed),
        )

    def end(self) -> None:
        """The stroke is done: it becomes an edit. A click with an area fills the island or the faces that it stays in."""
        if self.session.brush.area and 0 < len(self.points) <= 2 and self._faces:
            self.points = [(0.0, 0.0, 1.0), (1.0, 0.0, 1.0), (1.0, 1.0, 1.0), (0.0, 1.0, 1.0)]
            self.surface, self.across = [], 0.0  # the whole picture, but for what it stays in
        if self.points and (not self.session.brush.area or len(self.points) > 2):
            self._commit()
        self.session.end_merge()
        self.points, self.surface, self.done = [], [], []
        self._live = None
        self.prepare()

    # On the stage --------------------------------------------------------------------------------

    def touch(self, view: Any, x: float, y: float) -> tuple[Spot, int] | None:
        """Where the chosen overlay is met on the stage, and the face there; None: nowhere."""
        o = self.session.overlay
        t = self.engine.get(o.id).texture if o is not None else None
        if o is None or t is None:
            return None
        found = touched_at(self.session.doc, o, t, view, (x, y), self.engine.results.meshes())
        if found is None or (self.on and self.session.brush.front and not found.front):
            return None
        place = mesh_place(o)
        same = place is not None and found.spot is not None and found.spot.path == place.path
        return Spot(found.u, found.v, found.spot if same else None), found.face


def _drawn(box: tuple[int, int, int, int], values: Any, size: tuple[int, int], view: FlatView) -> tuple[QImage, QRect]:
    """A piece of the canvas as the flat proof shows it, and where on the widget."""
    top, low, left, right = box
    z = view.zoom
    x0, y0 = int(np.floor(view.left + left * z)), int(np.floor(view.top + top * z))
    x1, y1 = int(np.ceil(view.left + right * z)), int(np.ceil(view.top + low * z))
    w, h = max(x1 - x0, 1), max(y1 - y0, 1)
    if w > 8192 or h > 8192:
        w, h = min(w, 8192), min(h, 8192)
    out = np.zeros((h, w, 3), np.uint8)
    texture = Texture(np.ascontiguousarray(np.clip(values, 0, 1), np.float32), "colour", bits=16)
    paint(out, texture, view, 0, view.left + left * z - x0, view.top + top * z - y0, z, origin=(x0, y0))
    return QImage(out.data, w, h, w * 3, QImage.Format.Format_RGB888).copy(), QRect(x0, y0, w, h)


def shares(canvas: Any, at: QPointF) -> Spot:
    """A place on the flat proof as shares of the picture."""
    w, h = canvas.size_full
    return Spot((at.x() - canvas.view.left) / canvas.view.zoom / w, (at.y() - canvas.view.top) / canvas.view.zoom / h)

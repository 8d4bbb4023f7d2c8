"""The clock of the stage, and what is chosen of its effects: no edits of the document."""

import time as clock
from typing import Any

from PySide6.QtCore import QObject, QTimer, Signal

from mivex.core.base.messages import Message
from mivex.core.motion.curves import Curve, Ramp
from mivex.core.motion.model import Effect, Emitter, whole
from mivex.core.motion.simulate import LATEST, gone_at
from mivex.core.project.document import Document
from mivex.core.scene.draw_calls import build_environment
from mivex.core.scene.playback import EmitterSimulations, Particles
from mivex.ui.session.session import Session

FRAME = 16
"""Milliseconds between ticks of the clock."""


class PlaybackController(QObject):
    """Time, and the effect, part, lane and particle that are looked at.

    Signals
    -------
    ticked()
        The clock shows another time.
    told()
        Something else is chosen, or seen alone.
    said(words)
        Something for the artist.
    framed(number)
        Another frame of the chosen sheet is looked at.
    fewer_wanted()
        Fewer, larger particles are asked for.
    followed()
        The particle that is looked at is another, or elsewhere.
    """

    ticked = Signal()
    told = Signal()
    said = Signal(object)  # a Message; as str it would lose its template
    followed = Signal()
    fewer_wanted = Signal()
    framed = Signal(int)

    def __init__(self, session: Session, parent: QObject | None = None) -> None:
        super().__init__(parent)
        self.session = session
        self.effect_id, self.part, self.lane = "", 0, "opacity"
        self.group = "stream"
        self.alone = -1
        self.time, self.speed = 0.0, 1.0
        self.span = (0.0, 6.0)
        self.loops = True
        self.firing = False
        self.birth = -1
        self.frame = -1
        self.kept: Curve | Ramp | None = None
        self.meshes: Any = dict
        self.ready: Any = lambda: True
        """Whether the stage has shown the last time and can take another."""
        self.fired: list[Effect] = []
        self._flows = EmitterSimulations()
        self.watched = False
        self.count = 0
        self.picked: tuple[Particles, int] | None = None
        self.worker = session.workers.latest("desk", self.said.emit)
        self.worker.done.connect(self._take)
        self._last = 0.0
        self._timer = QTimer(self, interval=FRAME)
        self._timer.timeout.connect(self._tick)
        session.changed.connect(self._follow)
        for signal in (session.changed, self.ticked, self.told):
            signal.connect(self._look)

    # Choosing ------------------------------------------------------------------------------------

    @property
    def effect(self) -> Effect | None:
        """The chosen effect, with all that it takes from another."""
        found = self.session.doc.effect(self.effect_id)
        return whole(found, self.session.doc.effects) if found is not None else None

    @property
    def emitter(self) -> Emitter | None:
        """The chosen part of it."""
        e = self.effect
        return e.parts[self.part] if e is not None and 0 <= self.part < len(e.parts) else None

    @property
    def own_id(self) -> str:
        """Id of the effect that the parts are edited on: of a copy, the one that it is a copy of."""
        found = self.session.doc.effect(self.effect_id)
        return "" if found is None else found.copy_of or found.id

    def choose(self, effect_id: str, part: int = 0) -> None:
        """Choose a part of an effect, and with it the overlay that it shows."""
        if (effect_id, part) == (self.effect_id, self.part):
            return
        self.effect_id, self.part, self.birth = effect_id, part, -1
        self.alone = -1 if self.alone not in (-1, part) else self.alone
        e = self.emitter
        if e is not None and e.overlay != self.session.overlay_id:
            self.session.choose(e.overlay)
        self.told.emit()

    def choose_lane(self, lane: str) -> None:
        """Choose a lane of the chart."""
        self.lane, self.group = lane, "life"
        self.told.emit()

    def choose_group(self, group: str) -> None:
        """Choose which numbers stand beside the chart."""
        self.group = group
        self.told.emit()

    def see_alone(self, part: int) -> None:
        """Show one part alone; once more: all of them."""
        self.alone = -1 if self.alone == part else part
        self.told.emit()
        self.ticked.emit()

    def _follow(self) -> None:
        doc = self.session.doc
        if doc.effect(self.effect_id) is None:
            self.effect_id, self.part = (doc.effects[0].id, 0) if doc.effects else ("", 0)
            self.told.emit()
        e = self.effect
        if e is not None and self.part >= len(e.parts):
            self.part = max(0, len(e.parts) - 1)
            self.told.emit()

    def show_frame(self, number: int) -> None:
        """Look at a frame of the chosen sheet."""
        if number != self.frame:
            self.frame = number
            self.framed.emit(number)

    # Clock ---------------------------------------------------------------------------------------

    @property
    def playing(self) -> bool:
        """The clock runs."""
        return self._timer.isActive()

    def play(self, on: bool) -> None:
        """Let the clock run, or stop it."""
        self._last = clock.perf_counter()
        if on and self.time >= self.span[1] - 1e-6:
            self.go_to(self.span[0])
        self._timer.start() if on else self._timer.stop()
        self.told.emit()

    def _tick(self) -> None:
        if not self.ready():
            return
        now = clock.perf_counter()
        passed, self._last = min(now - self._last, 0.25), now
        to = self.time + passed * self.speed
        if to >= self.span[1] and not self.fired:
            if not self.loops:
                self.go_to(self.span[1])
                self.play(False)
                return
            to = self.span[0] + (to - self.span[0]) % max(self.span[1] - self.span[0], 0.05)
        self.go_to(to)

    def go_to(self, time: float) -> None:
        """Show another time."""
        self.time = min(max(time, 0.0), LATEST)
        gone = [e for e in self.fired if self.time >= gone_at(e)]
        if gone:
            self.fired = [e for e in self.fired if e not in gone]
            self.said.emit(Message("“{name}” is gone: its last particle has died.", name=gone[-1].name))
        self.ticked.emit()

    def step(self, frames: int) -> None:
        """Go on by so many sixtieths of a second."""
        self.play(False)
        self.go_to(round(self.time * 60 + frames) / 60)

    def set_span(self, low: float, high: float) -> None:
        """Set the part of the clock that is played."""
        self.span = (max(low, 0.0), min(max(high, low + 0.1), LATEST))
        self.told.emit()

    def fire(self, effect: Effect, at: tuple[float, float, float], yaw: float, pitch: float) -> None:
        """Fire an effect once at a place, along a direction, from now on."""
        now, full = self.time, whole(effect, self.session.doc.effects)
        parts = []
        for p in full.parts:
            e = p.emission
            parts.append(
                p.model_copy(
                    update={
                        "emission": e.model_copy(
                            update={"delay": e.delay + now, "runs": "once" if e.runs == "loop" else e.runs, "warm": False}
                        )
                    }
                )
            )
        fresh = full.model_copy(
            update={
                "id": Message("fired {count} {now}", count=len(self.fired), now=now),
                "copy_of": "",
                "parts": tuple(parts),
                "at": at,
                "yaw": yaw,
                "pitch": pitch,
                "seed": full.seed + 1 + len(self.fired),
                "shown": True,
                "lamp": full.lamp,
            }
        )
        self.fired = [*self.fired, fresh][-32:]
        if not self.playing:
            self.play(True)
        self.ticked.emit()

    def shown(self, doc: Document) -> Document:
        """The document as the stage shows it: one part alone, and what has been fired."""
        rows = doc.effects
        if self.alone >= 0 and (chosen := doc.effect(self.effect_id)) is not None:
            full = whole(chosen, rows)
            parts = tuple(p.model_copy(update={"muted": k != self.alone}) for k, p in enumerate(full.parts))
            rows = (full.model_copy(update={"parts": parts, "copy_of": "", "shown": True}),)
        if self.fired:
            rows = (*rows, *self.fired)
        return doc if rows is doc.effects else doc.model_copy(update={"effects": rows})

    # The particle that is looked at ---------------------------------------------------------------

    def _look(self) -> None:
        """Work out, in the background, the particles of the chosen part."""
        effect, emitter, doc, now = self.effect, self.emitter, self.session.doc, self.time
        if not self.watched or effect is None or emitter is None:
            if self.picked is not None:
                self.picked = None
                self.followed.emit()
            return
        meshes = self.meshes()
        self.worker.ask(
            None, lambda _r, _s: self._flows.particles(doc, effect, emitter, build_environment(doc, meshes), now)
        )

    def _take(self, _token: object, found: object) -> None:
        assert isinstance(found, Particles)
        self.count = len(found)
        if not len(found):
            self.picked = None
        else:
            there = [i for i in range(len(found)) if found.number[i] == self.birth]
            # Where it is not there, one in the middle of its life.
            i = there[0] if there else int(abs(found.share - 0.35).argmin())
            self.birth = int(found.number[i])
            self.picked = found, i
        self.followed.emit()

    def watch(self, on: bool) -> None:
        """Follow the particles of the chosen part, or not."""
        self.watched = on
        self._look()

    def next_particle(self, way: int) -> None:
        """Look at the particle that was born after, or before."""
        if self.picked is not None:
            p, i = self.picked
            self.birth = int(p.number[(i + way) % len(p)])
            self._look()

"""What if: the chosen overlay under all seven blends, side by side; a click takes one."""

from typing import Any

from PySide6.QtCore import QRectF, Qt, Signal
from PySide6.QtGui import QColor, QFont, QImage, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QDialog, QLabel, QVBoxLayout, QWidget

from mivex.core.advice.blend_variants import PLACES, BlendVariant, blend_variants
from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, joined, term
from mivex.core.material.material import with_blend
from mivex.core.pixels.blends import BLENDS
from mivex.core.project import edits
from mivex.ui import theme
from mivex.ui.session.engine import Engine
from mivex.ui.session.session import Session

CELL, GAP, LEFT, TOP = 128, 10, 72, 28


class Sheet(QWidget):
    """Seven columns, three rows; the present blend is framed.

    Signals
    -------
    taken(blend)
    """

    taken = Signal(str)

    def __init__(self) -> None:
        super().__init__()
        self.rows: list[BlendVariant] = []
        self.now = ""
        self.current = 0
        self.setFixedSize(LEFT + 7 * (CELL + GAP), TOP + 3 * (CELL + GAP) + 66)
        self.setMouseTracking(True)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setAccessibleName(tr("Seven blends"))

    def show_trials(self, rows: list[BlendVariant], now: str) -> None:
        """Show trials; ``now`` is the present blend."""
        self.rows, self.now = rows, now
        self.current = next((i for i, t in enumerate(rows) if t.blend == now), 0)
        self.setAccessibleDescription(
            tr(
                joined(
                    "; ",
                    (
                        Message(
                            "{blend}: {words}, differs by {differs:.1f}",
                            blend=term(t.blend),
                            words=term(t.cost.words()),
                            differs=t.differs,
                        )
                        for t in rows
                    ),
                )
            )
        )
        self.update()

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        p.setFont(theme.figures_font(12))
        p.setPen(QColor(theme.SOFT))
        for k, place in enumerate(PLACES):
            p.drawText(
                QRectF(0, TOP + k * (CELL + GAP), LEFT - 8, CELL),
                Qt.AlignmentFlag.AlignVCenter | Qt.TextFlag.TextWordWrap,
                tr(place),
            )
        for i, name in enumerate(BLENDS):
            x = LEFT + i * (CELL + GAP)
            p.setFont(theme.figures_font(12, QFont.Weight.DemiBold))
            p.setPen(QColor(theme.TEXT))
            p.drawText(QRectF(x, 0, CELL, TOP - 6), Qt.AlignmentFlag.AlignVCenter, tr(name))
            trial = self.rows[i] if i < len(self.rows) else None
            for k in range(len(PLACES)):
                box = QRectF(x, TOP + k * (CELL + GAP), CELL, CELL)
                p.fillRect(box, QColor(theme.SURROUND))
                if trial is not None:
                    crop = trial.crops[k]
                    h, w = crop.shape[:2]
                    p.drawImage(box, QImage(crop.tobytes(), w, h, 3 * w, QImage.Format.Format_RGB888))
            if trial is None:
                continue
            low = TOP + 3 * (CELL + GAP)
            p.setFont(theme.figures_font(11))
            p.setPen(QColor(theme.SOFT))
            cost = trial.cost
            needs = [w for w, on in (("blends", cost.reads_frame), ("sorted", cost.sorts)) if on]
            more = joined(", ", needs or ["depth settles it"])
            away = "as it is" if name == self.now else Message("{differs:.1f} of 255 away", differs=trial.differs)
            for k, words in enumerate(
                (Message("{reads} reads, {arithmetic} ops", reads=cost.reads, arithmetic=cost.arithmetic), more, away)
            ):
                p.drawText(QRectF(x, low + 17 * k, CELL, 16), Qt.AlignmentFlag.AlignVCenter, tr(words))
            if name == self.now or (i == self.current and self.hasFocus()):
                p.setBrush(Qt.BrushStyle.NoBrush)
                p.setPen(QPen(QColor(theme.CHOSEN if name == self.now else theme.FAINT), 2))
                p.drawRect(QRectF(x - 4, TOP - 4, CELL + 8, 3 * CELL + 2 * GAP + 8))

    def mousePressEvent(self, event: QMouseEvent) -> None:
        i = int((event.position().x() - LEFT) // (CELL + GAP))
        if 0 <= i < len(self.rows) and event.position().x() >= LEFT:
            self.taken.emit(self.rows[i].blend)

    def keyPressEvent(self, event: QKeyEvent) -> None:
        step = {Qt.Key.Key_Left: -1, Qt.Key.Key_Right: 1}.get(Qt.Key(event.key()))
        if step is not None and self.rows:
            self.current = (self.current + step) % len(self.rows)
            self.update()
        elif event.key() in (Qt.Key.Key_Return, Qt.Key.Key_Space) and self.rows:
            self.taken.emit(self.rows[self.current].blend)
        else:
            super().keyPressEvent(event)


class WhatIf(QDialog):
    """The sheet in a dialog."""

    def __init__(self, session: Session, engine: Engine, stage: Any, parent: QWidget) -> None:
        super().__init__(parent)
        self.session = session
        o = session.overlay
        self.setWindowTitle(tr(Message("What if: {name} under each blend", name=o.name if o else "")))
        column = QVBoxLayout(self)
        column.setContentsMargins(18, 14, 18, 14)
        self.said = QLabel(tr("Drawing …"))
        self.said.setObjectName("soft")
        column.addWidget(self.said)
        self.sheet = Sheet()
        self.sheet.taken.connect(self._take)
        column.addWidget(self.sheet)
        self.worker = session.workers.latest("what-if", self.said.setText)
        self.worker.done.connect(self._show)
        if o is None:
            return
        seen, view = engine.snapshot(), stage.view
        key = o.id

        def work(_report: object, stopped: Any) -> list[BlendVariant]:
            own = seen.doc.overlay(key)
            return [] if own is None else blend_variants(seen.doc, own, seen.textures, view, seen.meshes, stop=stopped)

        self.worker.ask(o.material.blend, work)

    def _show(self, now: object, rows: object) -> None:
        trials: list[BlendVariant] = list(rows)  # type: ignore[call-overload]
        self.sheet.show_trials(trials, str(now))
        o = self.session.overlay
        if o is not None and trials and not any(t.differs for t in trials):
            text = "“{name}” is not seen from here, so that all look alike. Double-click its card to go to where it is."
            self.said.setText(tr(Message(text, name=o.name)))
            return
        self.said.setText(
            tr(
                "As this camera sees it, over the brightest, a middling and the darkest place behind it. "
                "A click takes a blend, with the depth write and the draw group that are usual for it."
            )
        )

    def _take(self, blend: str) -> None:
        key = self.session.overlay_id
        self.session.apply(
            Message("Take {blend}", blend=term(blend)),
            lambda d: edits.map_overlay(d, key, lambda o: o.model_copy(update={"material": with_blend(o.material, blend)})),  # type: ignore[arg-type]
        )  # type: ignore[arg-type]
        self.accept()

    def done(self, result: int) -> None:
        """Close, and stop the thread."""
        self.session.workers.drop(self.worker)
        super().done(result)

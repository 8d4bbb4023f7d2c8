"""Fewer, larger: asks how many particles may live at once, and shows both ways side by side."""

from typing import Any

from PySide6.QtCore import Qt
from PySide6.QtGui import QImage, QPixmap
from PySide6.QtWidgets import QDialog, QHBoxLayout, QLabel, QPushButton, QVBoxLayout

from mivex.core.advice.particle_reduction import (
    Covering,
    ParticleReduction,
    reduce_particles,
    shared_dials,
    with_reduction,
)
from mivex.core.base.languages import tr
from mivex.core.base.messages import Message
from mivex.core.scene.draw_calls import build_environment
from mivex.ui import theme
from mivex.ui.fields.labels import enable
from mivex.ui.fields.number import NumberField


class FewerSheet(QDialog):
    """The question, both pictures, and a button that takes the answer."""

    def __init__(self, session: Any, engine: Any, desk: Any, parent: Any) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Fewer, larger"))
        self.session, self.engine, self.desk = session, engine, desk
        self.key = desk.effect_id
        self.found: ParticleReduction | None = None
        self.worker = session.workers.latest("fewer", self._say)
        self.worker.done.connect(self._take)
        column = QVBoxLayout(self)
        column.setSpacing(6)
        self.most = max(1, round(desk.count * 0.5)) if desk.count else 20
        self.field = NumberField(
            "At once",
            "How many particles may live at once.",
            lambda: self.most,
            self.most,
            low=1,
            high=max(desk.count, 2),
            hard=(1, 20000),
            whole=True,
        )
        self.field.edited.connect(self._ask_for)
        column.addWidget(self.field)
        row = QHBoxLayout()
        self.sides: list[tuple[QLabel, QLabel]] = []
        for title in ("Now", "Fewer, larger"):
            side = QVBoxLayout()
            head = QLabel(tr(title))
            head.setObjectName("section")
            picture, words = QLabel(), QLabel()
            picture.setFixedSize(256, 256)
            picture.setStyleSheet(f"background: {theme.SURROUND};")
            words.setObjectName("figure")
            words.setWordWrap(True)
            words.setFixedWidth(256)
            words.setFixedHeight(42)
            words.setAlignment(Qt.AlignmentFlag.AlignTop)
            for w in (head, picture, words):
                side.addWidget(w)
            row.addLayout(side)
            self.sides.append((picture, words))
        column.addLayout(row)
        self.note = QLabel()
        self.note.setWordWrap(True)
        self.note.setObjectName("soft")
        # Text comes in later and takes up to three lines: room for it from the start, or the pictures would be overlaid.
        self.note.setFixedSize(2 * 256 + 6, 58)
        self.note.setAlignment(Qt.AlignmentFlag.AlignTop)
        column.addWidget(self.note)
        foot = QHBoxLayout()
        self.take = QPushButton(tr("Take it"))
        self.take.setObjectName("main")
        self.take.clicked.connect(self._apply)
        close = QPushButton(tr("Close"))
        close.clicked.connect(self.reject)
        foot.addWidget(self.take)
        foot.addWidget(close)
        foot.addStretch()
        column.addLayout(foot)
        self.finished.connect(lambda _r: session.workers.drop(self.worker))
        self._ask()

    def _ask_for(self, value: object) -> None:
        self.most = int(value)  # type: ignore[call-overload]
        self.field.refresh()
        self._ask()

    def _ask(self) -> None:
        self.found = None
        enable(self.take, False, "Both are still being measured")
        self._say("Measuring what is covered …")
        doc, textures, meshes, key, most = (
            self.session.doc,
            self.engine.stage_textures(),
            self.engine.results.meshes(),
            self.key,
            self.most,
        )
        self.worker.ask(
            None,
            lambda _r, stop: reduce_particles(doc, key, most, textures, build_environment(doc, meshes), stop=stop),
            halt=True,
        )

    def _say(self, words: str) -> None:
        self.note.setText(tr(words))

    def _take(self, _token: object, found: object) -> None:
        assert isinstance(found, ParticleReduction)
        self.found = found
        for (picture, words), c in zip(self.sides, (found.before, found.after), strict=True):
            self._show(picture, words, c)
        cost, worst = found.cost
        if not found.cheaper:
            self._say(
                Message(
                    "Nothing cheaper covers as much: fewer, larger ones take at least {share:.0%} of the fragments, "
                    "{worst:.0%} at the worst moment.",
                    share=cost,
                    worst=worst,
                )
            )
            enable(self.take, False, "It would cost as much as now, or more")
            return
        told = Message(
            "Rate × {rate:.3g} and size × {size:.3g} cover {share:.1%} of the present area with {saved:.0%} fewer "
            "fragments, {worst:.0%} fewer at the worst moment. The looks are {apart:.1f} of 255 apart.",
            rate=found.rate,
            size=found.size,
            share=found.after.area / found.before.area,
            saved=1 - cost,
            worst=1 - worst,
            apart=found.apart,
        )
        effect = self.session.doc.effect(self.key)
        of = self.session.doc.effect(effect.copy_of) if effect is not None and effect.copy_of else None
        if of is not None and shared_dials(self.session.doc, self.key):
            told += Message(" It is a copy without dials of its own for that: “{name}” changes with it.", name=of.name)
        self._say(told)
        enable(self.take, True, "")

    @staticmethod
    def _show(picture: QLabel, words: QLabel, c: Covering) -> None:
        h, w = c.picture.shape[:2]
        image = QImage(c.picture.tobytes(), w, h, 3 * w, QImage.Format.Format_RGB888)
        picture.setPixmap(QPixmap.fromImage(image).scaled(256, 256))
        words.setText(
            tr(
                Message(
                    "{count:.0f} at once · {area:.1%} covered · overdraw {overdraw:.1f} · {fragments:.0f} fragments",
                    count=c.count,
                    area=c.area,
                    overdraw=c.overdraw,
                    fragments=c.fragments,
                )
            )
        )

    def _apply(self) -> None:
        if self.found is None:
            return
        key, found = self.key, self.found
        self.session.apply("Fewer, larger", lambda d: with_reduction(d, key, found))
        self.accept()

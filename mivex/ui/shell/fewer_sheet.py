"""Fewer, larger: asks how many particles may live at once, and shows both ways side by side."""

from typing import Any

from PySide6.QtCore import Qt
from PySide6.QtGui import QImage, QPixmap
from PySide6.QtWidgets import QDialog, QHBoxLayout, QLabel, QPushButton, QVBoxLayout

from mivex.core.advice.particle_reduction import Covering, ParticleReduction, reduce_particles
from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term
from mivex.core.project import edits
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
            words.setMinimumHeight(38)
            words.setAlignment(Qt.AlignmentFlag.AlignTop)
            for w in (head, picture, words):
                side.addWidget(w)
            row.addLayout(side)
            self.sides.append((picture, words))
        column.addLayout(row)
        self.note = QLabel()
        self.note.setWordWrap(True)
        self.note.setObjectName("soft")
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
        saved = 1 - found.after.fragments / max(found.before.fragments, 1)
        share = found.after.area / found.before.area
        self._say(
            Message(
                "Rate × {rate:.3g} and size × {size:.3g} cover {share:.1%} of the present area with "
                "{saved:.0%} {word} fragments.",
                rate=found.rate,
                size=found.size,
                share=share,
                saved=abs(saved),
                word=term("fewer" if saved >= 0 else "more"),
            )
        )
        if saved <= 0.01:
            self._say(
                Message(
                    "It gains nothing: {share:.1%} of the present area with {saved:.0%} more fragments. "
                    "Fewer, larger particles only save where they lie over each other less; try another "
                    "number.",
                    share=share,
                    saved=abs(saved),
                )
            )
        enable(self.take, saved > 0.01, "It would cost as much as now, or more")

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
        found = self.session.doc.effect(self.key)
        if found is not None:
            key = found.copy_of or found.id
            whole = self.session.doc.effect(key) or found
            dials = whole.dials.model_copy(update={"rate": self.found.rate, "size": self.found.size})
            self.session.apply("Fewer, larger", lambda d: edits.set_effect(d, key, dials=dials))
        self.accept()

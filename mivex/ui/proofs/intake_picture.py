"""What a receiver makes of a delivery: its picture, its difference from the stage, and what it may be told to do."""

import numpy as np
from PySide6.QtCore import QRectF, Qt, Signal
from PySide6.QtGui import QColor, QImage, QPainter, QPaintEvent, QResizeEvent
from PySide6.QtWidgets import QCheckBox, QComboBox, QGridLayout, QHBoxLayout, QLabel, QPushButton, QVBoxLayout, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, term
from mivex.core.intake.compare import SAME
from mivex.core.intake.switches import SWITCHES
from mivex.ui import theme
from mivex.ui.fields.labels import enable, label
from mivex.ui.proofs.survival_table import SurvivalTable
from mivex.ui.session.shipping import Shipping

GAIN = 8
"""Differences are drawn so many times brighter."""
SIDES = (4096, 2048, 1024, 512, 256, 128, 64)


class Picture(QWidget):
    """The picture itself.

    Signals
    -------
    sized()
        It has another size.
    """

    sized = Signal()

    def __init__(self, shipping: Shipping) -> None:
        super().__init__()
        self.shipping = shipping
        self.shows = "delivered"
        self.setMinimumHeight(150)
        self.setAccessibleName(tr("Intake"))
        shipping.told.connect(self.update)

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        self.sized.emit()

    def image(self) -> QImage | None:
        """What is shown; None: nothing yet."""
        s = self.shipping
        if s.codes is None or s.off is None:
            return None
        if self.shows == "stage":
            codes = s.meant
        elif self.shows == "difference":
            codes = np.minimum(s.off.codes.astype(np.uint16) * GAIN, 255).astype(np.uint8)
            codes = np.repeat(codes[..., None], 3, axis=2)
        else:
            codes = s.codes
        codes = np.ascontiguousarray(codes)
        h, w = codes.shape[:2]
        return QImage(codes.data, w, h, 3 * w, QImage.Format.Format_RGB888).copy()

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        p.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform)
        p.fillRect(self.rect(), QColor(theme.SURROUND if self.shipping.codes is not None else theme.PANEL))
        image = self.image()
        if image is None:
            s = self.shipping
            words = s.problem or (
                "Loading what was delivered …"
                if s.folder
                else "Nothing has been delivered yet. “Deliver all …” at the right writes the files; what a "
                "receiver makes of them is drawn here."
            )
            p.setPen(QColor(theme.SOFT))
            p.setFont(theme.figures_font(13))
            p.drawText(
                QRectF(self.rect()).adjusted(24, 24, -24, -24),
                Qt.AlignmentFlag.AlignCenter | Qt.TextFlag.TextWordWrap,
                tr(words),
            )
            return
        k = min(self.width() / image.width(), self.height() / image.height())
        w, h = image.width() * k, image.height() * k
        p.drawImage(QRectF((self.width() - w) / 2, (self.height() - h) / 2, w, h), image)


class IntakeView(QWidget):
    """The intake: picture, figures, switches, and the table of what survives them."""

    def __init__(self, shipping: Shipping) -> None:
        super().__init__()
        self.shipping = shipping
        self.picture = Picture(shipping)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        top = QWidget()
        top.setObjectName("strip")
        row = QHBoxLayout(top)
        row.setContentsMargins(8, 4, 8, 4)
        self.shows = []
        for key, words, tip in (
            ("delivered", "Delivered", "What the receiver draws, from the stage's camera"),
            ("stage", "Stage", "What was meant: the stage with what was delivered, from the same place"),
            ("difference", Message("Difference × {gain}", gain=GAIN), "Where the two differ"),
        ):
            button = QPushButton(tr(words))
            button.setCheckable(True)
            button.setToolTip(tr(tip))
            button.setProperty("key", key)
            button.clicked.connect(lambda _=False, v=key: self.show_as(v))  # type: ignore[misc]
            row.addWidget(button)
            self.shows.append(button)
        row.addStretch()
        column.addWidget(top)
        column.addWidget(self.picture, 3)
        self.figures = label("", "figure", wrap=True)
        self.figures.setContentsMargins(8, 4, 8, 4)
        column.addWidget(self.figures)
        column.addWidget(self._switches())
        self.table = SurvivalTable()
        column.addWidget(self.table, 2)
        self.show_as("delivered")
        shipping.told.connect(self.refresh)
        shipping.session.changed.connect(lambda *_: self._list_receivers())
        self.refresh()

    def _switches(self) -> QWidget:
        box = QWidget()
        box.setObjectName("strip")
        grid = QGridLayout(box)
        grid.setContentsMargins(8, 2, 8, 6)
        grid.setHorizontalSpacing(10)
        grid.setVerticalSpacing(3)
        head = QLabel(tr("The receiver …"))
        head.setObjectName("section")
        grid.addWidget(head, 0, 0)
        self.like = QComboBox()
        self.like.setAccessibleName(tr("Draws like"))
        self.like.setToolTip(tr("A receiver of the project, as a picture of the test card told; sets the switches below"))
        self.like.activated.connect(self._draw_like)
        grid.addWidget(self.like, 0, 1)
        self.boxes: dict[str, QCheckBox] = {}
        self.side = QComboBox()
        for side in SIDES:
            self.side.addItem(tr(f"{side} px"), side)
        self.side.setCurrentIndex(SIDES.index(self.shipping.side))
        self.side.setFixedWidth(76)
        self.side.setAccessibleName(tr("Size limit"))
        self.side.currentIndexChanged.connect(lambda i: self.shipping.limit(SIDES[i]))
        for k, s in enumerate(SWITCHES):
            check = QCheckBox(tr(s.title))
            check.setToolTip(tr(s.hint))
            check.toggled.connect(lambda on, key=s.key: self.shipping.switch(key, on))
            self.boxes[s.key] = check
            cell = QWidget()
            inner = QHBoxLayout(cell)
            inner.setContentsMargins(0, 0, 0, 0)
            inner.setSpacing(6)
            inner.addWidget(check)
            if s.key == "smaller":
                inner.addWidget(self.side)
            inner.addStretch()
            grid.addWidget(cell, 1 + k // 2, k % 2)
        self.all = QPushButton(tr("Try every one"))
        self.all.setToolTip(tr("Each switch on each overlay alone: a table of what survives"))
        self.all.clicked.connect(self.shipping.try_all)
        grid.addWidget(self.all, 1 + len(SWITCHES) // 2, len(SWITCHES) % 2)
        return box

    def _draw_like(self, index: int) -> None:
        receivers = self.shipping.session.doc.receivers
        if 1 <= index <= len(receivers):
            self.shipping.draw_like(receivers[index - 1])

    def _list_receivers(self) -> None:
        """Those of the project, and which of them the switches stand for."""
        s = self.shipping
        rows = s.session.doc.receivers
        names = [tr("as switched below"), *(r.name for r in rows)]
        if [self.like.itemText(k) for k in range(self.like.count())] != names:
            self.like.clear()
            self.like.addItems(names)
        same = [k for k, r in enumerate(rows, 1) if r.switches == s.switches and r.longest in (0, s.side)]
        self.like.setCurrentIndex(same[0] if same else 0)
        self.like.setVisible(bool(rows))

    def show_as(self, key: str) -> None:
        """Show what was ``delivered``, the ``stage``, or their ``difference``."""
        self.picture.shows = key
        for button in self.shows:
            button.setChecked(button.property("key") == key)
        self.picture.update()

    def refresh(self) -> None:
        """Show the figures as they are now."""
        s = self.shipping
        if s.off is None:
            self.figures.setText("")
        else:
            f = s.off.figures
            lost = sum(len(v) for v in s.received.left_out.values()) if s.received else 0
            more = (
                Message(
                    " {lost} channel{ending} or meshes were not delivered.",
                    lost=lost,
                    ending=term("" if lost == 1 else "s"),
                )
                if lost
                else ""
            )
            self.figures.setText(
                tr(
                    Message(
                        "{within:.2%} of the pixels are within {same} of 255 of the stage; mean {mean:.2f}, "
                        "largest {largest:.0f}.{more}",
                        within=f["within"],
                        same=SAME,
                        mean=f["mean"],
                        largest=f["largest"],
                        more=term(more),
                    )
                )
            )
        self._list_receivers()
        if s.side in SIDES and self.side.currentIndex() != SIDES.index(s.side):
            self.side.blockSignals(True)
            self.side.setCurrentIndex(SIDES.index(s.side))
            self.side.blockSignals(False)
        for key, check in self.boxes.items():
            enable(check, bool(s.folder), "Deliver first, or load a delivery")
            if check.isChecked() != (key in s.switches):
                check.blockSignals(True)
                check.setChecked(key in s.switches)
                check.blockSignals(False)
        enable(self.all, s.received is not None, "Nothing has been delivered or loaded yet")
        self.all.setText(tr(Message("Stop  ({share:.0%})", share=s.share) if s.share >= 0 else "Try every one"))
        self.table.show_rows(s.rows)
        self.table.setVisible(bool(s.rows))

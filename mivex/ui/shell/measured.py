"""What has been measured of the selected overlay, whether or not it amounts to a finding."""

from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QColor, QFont, QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, joined, term
from mivex.core.evaluation.targets import Result
from mivex.core.findings.texture.fringe import LIMIT, judged
from mivex.core.proof.flat import full_size
from mivex.core.proof.histogram import histogram
from mivex.ui import theme

_SHADES = ("#1e1e1e", "#8c8c8c", "#f0f0f0")


class Measured(QWidget):
    """Alpha as a bar of clear, soft and solid; the fringe of every mip level as columns; size and depth in words."""

    def __init__(self) -> None:
        super().__init__()
        self.name = ""
        self.result: Result | None = None
        self.setMinimumHeight(96)
        self.setAccessibleName(tr("Measured"))

    def show_result(self, name: str, result: Result) -> None:
        """Show another overlay, or other figures of it."""
        if (name, result) != (self.name, self.result):
            self.name, self.result = name, result
            self.setAccessibleDescription(tr(joined("; ", self.words())))
            self.update()

    def words(self) -> list[str]:
        """The figures as text."""
        t = self.result.texture if self.result else None
        if t is None:
            return []
        h = histogram(t)  # counted when it was prepared
        w, high = full_size(t)
        return [
            Message("{w} × {high}, {bits} bit {meaning}", w=w, high=high, bits=t.bits, meaning=term(t.meaning)),
            Message(
                "alpha {clear:.0%} clear, {soft:.0%} soft, {solid:.0%} solid, {mean:.2f} in the mean",
                clear=h.clear,
                soft=h.soft,
                solid=h.solid,
                mean=h.mean,
            ),
        ]

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        p.setRenderHint(QPainter.RenderHint.Antialiasing)
        t = self.result.texture if self.result else None
        p.setFont(theme.figures_font(12, QFont.Weight.DemiBold))
        p.setPen(QColor(theme.TEXT))
        p.drawText(
            QRectF(0, 0, self.width(), 16),
            Qt.AlignmentFlag.AlignVCenter,
            tr(Message("Measured: {name}", name=self.name) if self.name else "Nothing selected"),
        )
        if t is None or self.result is None:
            return
        words = self.words()
        small = theme.figures_font(11)
        p.setFont(small)
        p.setPen(QColor(theme.SOFT))
        p.drawText(QRectF(0, 18, self.width(), 16), Qt.AlignmentFlag.AlignVCenter, tr(words[0]))
        half = min(self.width() * 0.46, 300.0)
        self._alpha(p, QRectF(0, 44, half, 12))
        p.setFont(small)
        p.setPen(QColor(theme.SOFT))
        h = histogram(t)
        text = Message(
            "Alpha:  {clear:.0%} clear   {soft:.0%} soft   {solid:.0%} solid", clear=h.clear, soft=h.soft, solid=h.solid
        )
        p.drawText(QRectF(0, 60, half, 16), Qt.AlignmentFlag.AlignVCenter, tr(text))
        figures = self.result.figures
        if figures is not None and figures.fringes:
            found = any(f.id == "fringe" for f in self.result.findings)
            near = {r.level for r in judged(figures.fringes)}
            shown = [r.shows for r in figures.fringes]
            self._fringes(p, QRectF(half + 28, 24, self.width() - half - 36, 52), shown, near, found)

    def _alpha(self, p: QPainter, box: QRectF) -> None:
        assert self.result is not None and self.result.texture is not None
        h = histogram(self.result.texture)
        p.setPen(Qt.PenStyle.NoPen)
        x = box.left()
        for share, shade in zip((h.clear, h.soft, h.solid), _SHADES, strict=True):
            p.setBrush(QColor(shade))
            p.drawRect(QRectF(x, box.top(), box.width() * share, box.height()))
            x += box.width() * share
        p.setPen(QPen(QColor(theme.EDGE), 1))
        p.setBrush(Qt.BrushStyle.NoBrush)
        p.drawRect(box)

    def _fringes(self, p: QPainter, box: QRectF, shown: list[float], near: set[int], found: bool) -> None:
        """A column a level; the line is where a fringe is worth mending. Levels that no view comes near are hollow."""
        top = max(*shown, LIMIT * 1.6)
        step = min(box.width() / len(shown), 26.0)
        for i, v in enumerate(shown):
            high = max(1.0, box.height() * v / top)
            if i in near:
                p.setPen(Qt.PenStyle.NoPen)
                p.setBrush(QColor(theme.FINDING if v > LIMIT and found else theme.SOFT))
            else:
                p.setPen(QPen(QColor(theme.FAINT), 1))
                p.setBrush(Qt.BrushStyle.NoBrush)
            p.drawRect(QRectF(box.left() + i * step + 1, box.bottom() - high, max(step - 5, 2), high))
        y = box.bottom() - box.height() * LIMIT / top
        p.setPen(QPen(QColor(theme.FAINT), 1, Qt.PenStyle.DashLine))
        p.drawLine(QPointF(box.left(), y), QPointF(box.left() + step * len(shown), y))
        p.setPen(QColor(theme.SOFT))
        p.setFont(theme.figures_font(11))
        near_most = max((v for i, v in enumerate(shown) if i in near), default=0.0)
        lines = [Message("Fringe by mip level, up to {shown:.1f} of 255", shown=near_most)]
        if any(v > LIMIT for i, v in enumerate(shown) if i not in near):
            lines.append(term("Hollow: too small to be seen"))
        for i, says in enumerate(lines):
            row = QRectF(box.left(), box.bottom() + 2 + 15 * i, box.width(), 16)
            p.drawText(row, Qt.AlignmentFlag.AlignVCenter, tr(says))

"""The scale of a look, drawn over the stage: shades with their meaning, figures, and the histogram of overdraw."""

from PySide6.QtCore import QRectF, Qt
from PySide6.QtGui import QColor, QPainter, QPen

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, joined
from mivex.core.stage.looks import Look
from mivex.ui import theme

WORDS: dict[str, dict[str, str]] = {
    "order": {
        "mean": "mean error {value:.3f} of 255",
        "max": "largest {value:.0f}",
        "share": "{value:.1%} off by more than 2",
    },
    "overdraw": {
        "mean": "{value:.2f} fragments a pixel",
        "max": "at most {value:.0f}",
        "vain": "{value:.0%} change nothing",
        "above": "{value:.1%} above the budget",
    },
    "depth": {"near": "nearest {value:.2f} m", "far": "farthest {value:.2f} m"},
    "normals": {"away": "{value:.1%} face away from you"},
    "mip": {"mean": "level {value:.2f} in the mean", "max": "coarsest {value:.1f}", "finest": "{value:.0%} at the finest"},
    "alpha": {"clear": "{value:.0%} clear", "solid": "{value:.0%} solid"},
}


def figures(look: Look) -> str:
    """The figures of a look in words."""
    return joined(
        "   ·   ",
        (Message(form, value=look.figures[k]) for k, form in WORDS.get(look.name, {}).items() if k in look.figures),
    )


def draw_scale(p: QPainter, look: Look, width: int, height: int, budget: float) -> None:
    """Draw the scale at the lower border of a picture of this size."""
    words = figures(look)
    p.setFont(theme.figures_font(11))
    high = 40 if look.scale else 22
    p.fillRect(QRectF(0, height - high, width, high), QColor(20, 20, 20, 225))
    p.setPen(QColor(theme.TEXT))
    p.drawText(
        QRectF(10, height - 20, width - 20, 16),
        Qt.AlignmentFlag.AlignVCenter,
        p.fontMetrics().elidedText(tr(words), Qt.TextElideMode.ElideRight, width - 20),
    )
    x = 10.0
    for shade, said in look.scale:
        box = QRectF(x, height - 35, 18, 11)
        p.fillRect(box, QColor(*shade))
        p.setPen(QPen(QColor(theme.EDGE), 1))
        p.drawRect(box)
        p.setPen(QColor(theme.SOFT))
        w = p.fontMetrics().horizontalAdvance(tr(said))
        p.drawText(QRectF(x + 23, height - 38, w + 4, 16), Qt.AlignmentFlag.AlignVCenter, tr(said))
        x += 34 + w
    if look.name == "overdraw" and look.counts.size:
        _histogram(p, look, QRectF(width - 150, height - high - 66, 140, 58), budget)


def _histogram(p: QPainter, look: Look, box: QRectF, budget: float) -> None:
    """Pixels by number of fragments, the budget as a line; pixels without any are left out."""
    p.fillRect(box, QColor(20, 20, 20, 225))
    last = max(int(look.figures["max"]), round(budget) + 1, 4)
    counts = look.counts[1 : last + 1]
    top = max(float(counts.max()) if counts.size else 0.0, 1.0)
    inner = box.adjusted(6, 6, -6, -16)
    step = inner.width() / last
    for k, n in enumerate(counts, 1):
        tall = inner.height() * (float(n) / top) ** 0.5
        over = k > budget
        p.fillRect(
            QRectF(inner.left() + (k - 1) * step + 0.5, inner.bottom() - tall, max(step - 1, 1), tall),
            QColor(theme.FINDING if over else theme.LIGHT),
        )
    x = inner.left() + min(budget, last) * step
    p.setPen(QPen(QColor(theme.CHOSEN), 1))
    p.drawLine(int(x), int(inner.top()), int(x), int(inner.bottom()))
    p.setPen(QColor(theme.SOFT))
    p.drawText(
        QRectF(box.left() + 6, box.bottom() - 15, box.width() - 12, 14),
        Qt.AlignmentFlag.AlignVCenter,
        tr(Message("1 … {last} a pixel, budget {budget:g}", last=last, budget=budget)),
    )

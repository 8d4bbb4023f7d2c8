"""Controls of the station Alpha: its steps, and how the alpha is spread over its values."""

from PySide6.QtGui import QPaintEvent

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message
from mivex.core.project.document import Overlay
from mivex.core.proof.histogram import histogram
from mivex.ui import theme
from mivex.ui.fields.labels import label
from mivex.ui.fields.plane import Counts, Plane, draw_histogram
from mivex.ui.stations.base import Page, Station, has_steps
from mivex.ui.stations.steps import build_steps, steps_shape

_CHANNEL_COLOURS = ("#a06a6a", "#6a966a", "#6a78a0", "#b8b8b8")


class Histogram(Plane):
    """Alpha as columns; the three colour channels as thinner ones below."""

    def __init__(self) -> None:
        super().__init__(108)
        self.counts: Counts | None = None
        self.setAccessibleName(tr("Histogram of alpha and of each channel"))
        self.setToolTip(tr("How often each value occurs: alpha large, then red, green and blue. Low values stand left."))

    def paintEvent(self, _event: QPaintEvent) -> None:
        p = theme.painter(self)
        self.ground(p)
        if self.counts is None:
            return
        a = self.area
        high = a.height() * 0.52
        draw_histogram(p, a.adjusted(0, 0, 0, high - a.height()), self.counts[3], _CHANNEL_COLOURS[3])
        each = (a.height() - high - 9) / 3
        for i in range(3):
            top = a.top() + high + 3 + i * (each + 3)
            draw_histogram(p, a.adjusted(0, top - a.top(), 0, top + each - a.bottom()), self.counts[i], _CHANNEL_COLOURS[i])


def build_alpha(c: Page, o: Overlay) -> None:
    """Steps, then the histogram of what they lead to."""
    build_steps(c, o, "alpha")
    c.column.addSpacing(8)
    c.column.addWidget(label("Values now", "section"))
    picture = Histogram()
    c.column.addWidget(picture)
    shares = label("", "figure", wrap=True)
    shares.setFont(theme.figures_font(11))
    c.column.addWidget(shares)

    def live() -> None:
        t = c.engine.get(o.id).texture
        picture.counts = None if t is None else histogram(t).counts
        picture.update()
        if t is not None:
            h = histogram(t)
            shares.setText(
                tr(
                    Message(
                        "clear {clear:.1%}   between {soft:.1%}   solid {solid:.1%}",
                        clear=h.clear,
                        soft=h.soft,
                        solid=h.solid,
                    )
                )
            )

    c.live.append(live)


STATION = Station("alpha", "Alpha", "What is solid and what is clear.", 10, build_alpha, has_steps("alpha"), steps_shape)
"""Registered."""

"""Controls of the station Edges: its steps, and the fringe by mip level."""

from collections.abc import Callable

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QFrame, QGridLayout, QSizePolicy, QWidget

from mivex.core.base.languages import tr
from mivex.core.base.messages import Message, joined
from mivex.core.findings.facts import TextureMetrics
from mivex.core.findings.texture.fringe import LIMIT, judged
from mivex.core.picture.fringes import VISIBLE
from mivex.core.project.document import Overlay
from mivex.ui import theme
from mivex.ui.fields.labels import label
from mivex.ui.stations.base import Page, Station, has_steps
from mivex.ui.stations.steps import build_steps, steps_shape


def build_edges(c: Page, o: Overlay) -> None:
    """Steps of the station, and the fringe figures."""
    build_steps(c, o, "edges")
    if o.material.blend == "Cutout":
        _figures(c, o, "Coverage by mip level", _coverage_words)
    if any(s.step == "signed-distance" for s in o.steps):
        _figures(c, o, "Outline error, in texels", _outline_words)
    c.column.addSpacing(8)
    c.column.addWidget(label("Fringe by mip level", "section"))
    c.column.addWidget(
        label(
            Message(
                "99th percentile and maximum on screen, of 255. What shows of it, figure times area, "
                "is a finding above {limit:.0f}.",
                limit=LIMIT,
            ),
            "figure",
            wrap=True,
        )
    )
    grid = QGridLayout()
    grid.setContentsMargins(0, 0, 0, 0)
    grid.setHorizontalSpacing(10)
    grid.setVerticalSpacing(1)
    grid.setColumnStretch(1, 1)
    holder = QWidget()
    holder.setLayout(grid)
    c.column.addWidget(holder)
    state: dict[str, object] = {"rows": None}

    def live() -> None:
        facts = c.engine.get(o.id).figures
        rows = facts.fringes if facts else []
        if rows == state["rows"]:
            return
        state["rows"] = rows
        while grid.count():
            item = grid.takeAt(0)
            if item and (w := item.widget()):
                w.deleteLater()
        # The hue means a finding: only where the fringe is one, and at the levels that make it one.
        found = any(f.id == "fringe" for f in c.engine.get(o.id).findings)
        worth = {r.level for r in judged(rows)} if found else set()
        for i, r in enumerate(rows):
            grid.addWidget(
                label(Message("{level} · {width}×{height}", level=r.level, width=r.width, height=r.height), "figure"), i, 0
            )
            bar = QFrame()
            bar.setFixedHeight(5)
            shade = theme.FAINT if r.p99 <= VISIBLE else theme.FINDING if r.level in worth else theme.LIGHT
            bar.setStyleSheet(f"background: {shade};")
            bar.setSizePolicy(QSizePolicy.Policy.Fixed, QSizePolicy.Policy.Fixed)
            bar.setFixedWidth(max(1, round(min(r.p99, 64) / 64 * 96)))
            grid.addWidget(bar, i, 1, Qt.AlignmentFlag.AlignVCenter)
            figure = label(Message("{p99:.1f}   {maximum:.1f}", p99=r.p99, maximum=r.maximum), "figure")
            figure.setFont(theme.figures_font(11))
            grid.addWidget(figure, i, 2, Qt.AlignmentFlag.AlignRight)

    c.live.append(live)


def _figures(c: Page, o: Overlay, title: str, words: Callable[[TextureMetrics], str]) -> None:
    """A heading and lines of figures that follow the measurements."""
    c.column.addSpacing(8)
    c.column.addWidget(label(title, "section"))
    lines = label("", "figure", wrap=True)
    lines.setFont(theme.figures_font(11))
    c.column.addWidget(lines)

    def live() -> None:
        facts = c.engine.get(o.id).figures
        lines.setText(tr("Measuring …" if facts is None else words(facts)))

    c.live.append(live)


def _coverage_words(f: TextureMetrics) -> str:
    if not f.coverage:
        return "No cutout."
    rows = [
        Message(
            "{level} · {width}×{height}:  {plain:.1%}, kept {kept:.1%}",
            level=r.level,
            width=r.width,
            height=r.height,
            plain=r.plain,
            kept=r.kept,
        )
        for r in f.coverage
        if min(r.width, r.height) >= 4
    ]
    return joined(
        "\n",
        [*rows, Message("In a file without levels of its own, a cutoff of {cutoff:.2f} keeps it best.", cutoff=f.cutoff)],
    )


def _outline_words(f: TextureMetrics) -> str:
    if f.outline is None or f.plain_outline is None:
        return "The alpha is no distance yet."
    return Message(
        "signed distance: mean {outline:.3f}, largest {outline2:.2f}\nplain alpha:       mean "
        "{plain_outline:.3f}, largest {plain_outline2:.2f}",
        outline=f.outline[0],
        outline2=f.outline[1],
        plain_outline=f.plain_outline[0],
        plain_outline2=f.plain_outline[1],
    )


STATION = Station(
    "edges",
    "Edges",
    "No rim: hidden colour, mattes, border, frame.",
    30,
    build_edges,
    has_steps("edges"),
    lambda c, o: (steps_shape(c, o), o.material.blend == "Cutout"),
)
"""Registered."""

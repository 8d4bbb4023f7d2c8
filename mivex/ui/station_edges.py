"""Controls of the station Edges: its steps, and the fringe by mip level."""

from __future__ import annotations

from typing import TYPE_CHECKING

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QFrame, QGridLayout, QSizePolicy, QWidget

from mivex.core.findings.fringe import LIMIT
from mivex.core.project.document import Overlay
from mivex.ui import theme
from mivex.ui.labels import label

if TYPE_CHECKING:
    from mivex.ui.controls import Controls


def build_edges(c: Controls, o: Overlay) -> None:
    """Steps of the station, and the fringe figures."""
    c.recipe(o, "edges")
    c.column.addSpacing(8)
    c.column.addWidget(label("Fringe by mip level", "section"))
    c.column.addWidget(label(f"99th percentile and maximum on screen, of 255. Above {LIMIT:.0f} and cured by "
                                 "spreading, it is a finding.", "figure", wrap=True))
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
        rows = c.engine.fringes.get(o.id, [])
        if rows == state["rows"]:
            return
        state["rows"] = rows
        while grid.count():
            item = grid.takeAt(0)
            if item and (w := item.widget()):
                w.deleteLater()
        for i, r in enumerate(rows):
            grid.addWidget(label(f"{r.level} · {r.width}×{r.height}", "figure"), i, 0)
            bar = QFrame()
            bar.setFixedHeight(5)
            bar.setStyleSheet(f"background: {theme.ACCENT if r.p99 > LIMIT else theme.FAINT};")
            bar.setSizePolicy(QSizePolicy.Policy.Fixed, QSizePolicy.Policy.Fixed)
            bar.setFixedWidth(max(1, round(min(r.p99, 64) / 64 * 96)))
            grid.addWidget(bar, i, 1, Qt.AlignmentFlag.AlignVCenter)
            figure = label(f"{r.p99:.1f}   {r.maximum:.1f}", "figure")
            figure.setFont(theme.figures_font(11))
            grid.addWidget(figure, i, 2, Qt.AlignmentFlag.AlignRight)

    c.live.append(live)

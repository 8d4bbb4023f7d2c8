"""Controls of the station Blend: the equation, depth, order, faces."""

from __future__ import annotations

from typing import TYPE_CHECKING

from PySide6.QtCore import Qt

from mivex.core.material.material import Material
from mivex.core.pixels.blends import BLENDS
from mivex.core.project.document import Overlay
from mivex.ui import theme
from mivex.ui.fields.labels import label

if TYPE_CHECKING:
    from mivex.ui.shell.controls import Controls


def build_blend(c: Controls, o: Overlay) -> None:
    """The blend with its live equation, and how it is drawn."""
    c.model_field(Material, "blend", "material", o)
    blend = BLENDS[o.material.blend]
    equation = label("", "equation", wrap=True)
    equation.setTextFormat(Qt.TextFormat.RichText)
    c.column.addWidget(equation)

    def live() -> None:
        m = (c.session.doc.overlay(o.id) or o).material
        colour, alpha = blend.colour_factors, blend.alpha_factors
        text = blend.equation.replace("cutoff", f"{m.cutoff:.2f}").replace("-", "−")
        if m.opacity < 1:
            text += f"<br>As = alpha · {m.opacity:.2f}"
        factors = f"colour ({colour[0]}, {colour[1]})   alpha ({alpha[0]}, {alpha[1]})".replace("-", "−")
        soft = f"<span style='color:{theme.SOFT}'>"
        equation.setText(f"<span style='font-weight:600'>{text}</span><br>{soft}factors: {factors}</span><br>"
                         f"{soft}{blend.why}</span>")

    c.live.append(live)
    c.column.addSpacing(6)
    keys = ["opacity", "tint", "lit"]
    if blend.name == "Cutout":
        keys.insert(0, "cutoff")
    if blend.name in ("Additive", "Multiply"):
        keys.remove("lit")
    for key in keys:
        c.model_field(Material, key, "material", o)
    for title, group in (("Depth", ("depth_test", "depth_write", "depth_bias")),
                         ("Order", ("group", "nudge")), ("Surface", ("both_faces", "tiling"))):
        c.column.addSpacing(6)
        c.column.addWidget(label(title, "section"))
        for key in group:
            c.model_field(Material, key, "material", o)

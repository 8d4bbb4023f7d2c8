"""A mesh's UVs over the flat proof: outlines of its faces, and the frame by which the picture is moved on them."""

import math

import numpy as np
from PySide6.QtCore import QPointF, Qt
from PySide6.QtGui import QColor, QPainter, QPainterPath, QPen, QPolygonF

from mivex.core.base.kept import serial
from mivex.core.material.material import Mapping
from mivex.core.stage.mesh import Mesh
from mivex.ui import theme

MOST_WIRES = 20_000
"""Faces whose outlines are drawn; of a finer mesh nothing could be told apart."""
REACH = 10.0
"""How near the pointer must be to take a handle, pixels."""
GRIPS = ("size", "wide", "high", "move")


class Wires:
    """Outlines of a mesh's UVs, kept as long as nothing of them changes."""

    def __init__(self) -> None:
        self._kept: tuple[object, QPainterPath, QPainterPath] | None = None

    def paint(self, p: QPainter, mesh: Mesh, uv_set: int, faces: frozenset[int], mapping: Mapping | None) -> None:
        """Draw them where the picture has them, into a painter whose unit is the picture; chosen faces are light."""
        key = (serial(mesh), faces, uv_set, mapping)
        if self._kept is None or self._kept[0] != key:
            uv = mesh.uv(uv_set)[mesh.index]
            if mapping is None:
                uv = uv - np.floor(uv.mean(axis=1, keepdims=True))
            else:
                (a, b, c), (d, e, f) = mapping.rows
                uv = uv @ np.array([[a, d], [b, e]]) + (c, f)
            lines, chosen = QPainterPath(), QPainterPath()
            for i, corners in enumerate(uv[:MOST_WIRES]):
                path = lines if i not in faces else chosen
                path.addPolygon(QPolygonF([QPointF(*c) for c in (*corners, corners[0])]))
            self._kept = key, lines, chosen
        for colour, width in ((theme.CASING, 2.4), (theme.SOFT, 0.9)):
            pen = QPen(QColor(colour), width)
            pen.setCosmetic(True)
            p.setPen(pen)
            p.drawPath(self._kept[1])
            p.drawPath(self._kept[2])
        p.fillPath(self._kept[2], QColor(255, 255, 255, 90))


def spots(mapping: Mapping) -> dict[str, tuple[float, float]]:
    """Where the handles lie, as shares of the picture: the middle of the UVs, the ends of their half axes, a corner."""
    (a, b, _), (d, e, _) = mapping.rows
    x, y = 0.5 - mapping.right, 0.5 - mapping.low
    return {
        "move": (x, y),
        "wide": (x + a / 2, y + d / 2),
        "high": (x + b / 2, y + e / 2),
        "size": (x + (a + b) / 2, y + (d + e) / 2),
    }


def moved(was: Mapping, grip: str, at: tuple[float, float]) -> dict[str, float]:
    """Settings of a mapping whose handle was dragged to a place, in shares of the picture."""

    def within(v: float) -> float:
        return round(min(max(v, -64.0), 64.0), 4)

    if grip == "move":
        return {"right": within(0.5 - at[0]), "low": within(0.5 - at[1])}
    x, y = at[0] - 0.5 + was.right, at[1] - 0.5 + was.low
    length = max(math.hypot(x, y), 1e-4)
    if grip == "size":
        cx, cy = spots(was)["size"]
        k = length / max(math.hypot(cx - 0.5 + was.right, cy - 0.5 + was.low), 1e-6)
        return {"across": within(was.across * k), "down": within(was.down * k)}
    # The axis follows the pointer; near a quarter turn it snaps.
    sign = math.copysign(1.0, was.across if grip == "wide" else was.down)
    turn = math.degrees(math.atan2(-y * sign, x * sign) if grip == "wide" else math.atan2(x * sign, y * sign))
    near = round(turn / 90) * 90
    turn = float(near) if abs(turn - near) < 4 else round(turn, 1)
    return {"across" if grip == "wide" else "down": within(sign * 2 * length), "turn": turn}


def paint_frame(p: QPainter, corner: QPointF, size: tuple[float, float], mapping: Mapping) -> None:
    """The frame of the mesh's UVs with its handles; ``corner`` and ``size``: the picture on the screen, pixels."""

    def on(at: tuple[float, float]) -> QPointF:
        return QPointF(corner.x() + at[0] * size[0], corner.y() + at[1] * size[1])

    at = {k: on(v) for k, v in spots(mapping).items()}
    middle, right, low = at["move"], at["wide"] - at["move"], at["high"] - at["move"]
    p.setRenderHint(QPainter.RenderHint.Antialiasing)
    p.setBrush(Qt.BrushStyle.NoBrush)
    frame = QPolygonF([middle - right - low, middle + right - low, middle + right + low, middle - right + low])
    for colour, pen in ((theme.CASING, 3.0), (theme.CHOSEN, 1.3)):
        p.setPen(QPen(QColor(colour), pen))
        p.drawPolygon(frame)
    p.setPen(QPen(QColor("#101010"), 1))
    p.setBrush(QColor(theme.CHOSEN))
    p.drawEllipse(middle, 5, 5)
    for key in ("wide", "high", "size"):
        p.drawRect(int(at[key].x()) - 4, int(at[key].y()) - 4, 8, 8)

"""Words on a flat proof: what each part of a layout shows, and where."""

from dataclasses import dataclass

from mivex.core.base.messages import Message, term
from mivex.core.picture.texture import Texture
from mivex.core.proof.flat import full_size, level_boxes
from mivex.core.proof.layouts import (
    _GAP,
    _LABEL,
    BACKDROP_ORDER,
    BORDER_DEPTH,
    DIFFERENCE_GAIN,
    MAGNIFICATIONS,
    _grid,
    border_frame,
    far_boxes,
    far_count,
    magnify_boxes,
)


@dataclass(frozen=True)
class Label:
    """Words written under or over a part of a layout: place, width, text."""

    x: int
    y: int
    width: int
    text: str


def labels(texture: Texture, layout: str, width: int, height: int) -> list[Label]:
    """What is written beside the parts of a layout."""
    m = texture.mips
    w, h = full_size(texture)
    if layout == "levels":
        return [
            Label(
                x,
                y + bh + 1,
                bw,
                Message("{i} · {widths}×{heights}", i=i, widths=m.widths[i], heights=m.heights[i]) if bw > 64 else str(i),
            )
            for i, (x, y, bw, bh) in enumerate(level_boxes(m.levels, width, height, w / h))
        ]
    if layout == "backdrops":
        return [
            Label(x, y + bh + 1, bw, name)
            for (_, name), (x, y, bw, bh) in zip(BACKDROP_ORDER, _grid(6, width, height, w / h), strict=True)
        ]
    if layout == "far":
        _, _, side, _, top = far_boxes(texture, width, height)
        step = side + _GAP + _LABEL
        words = (
            "filtered straight, as hardware does",
            "filtered premultiplied, as it should be",
            Message("the difference, × {difference_gain}", difference_gain=DIFFERENCE_GAIN),
        )
        high = round(h * side / max(w, h))
        rows = [
            Label(
                _GAP,
                top + i * step + high + 1,
                width - 2 * _GAP,
                Message("Levels 1 to {far_count}: {text}", far_count=far_count(texture), text=term(text)),
            )
            for i, text in enumerate(words)
        ]
        true_size = "Above: true size, as filtered and as it should be"
        return [Label(_GAP, top - _LABEL - _GAP // 2, width - 2 * _GAP, true_size), *rows]
    if layout == "magnify":
        rows = []
        for i, (x, y, bw, bh) in enumerate(magnify_boxes(width, height)):
            text = "cut at one half" if i % 2 == 0 else "plain alpha"
            rows.append(
                Label(
                    x,
                    y + bh + 1,
                    bw,
                    Message("{magnifications} ×, {text}", magnifications=MAGNIFICATIONS[i // 2], text=term(text)),
                )
            )
        return rows
    if layout == "border":
        x, y, bw, bh, thick = border_frame(texture, width, height)
        return [
            Label(
                x,
                y + bh + _GAP + thick + 2,
                bw,
                Message("outermost {border_depth} texels of each side, enlarged", border_depth=BORDER_DEPTH),
            )
        ]
    return []

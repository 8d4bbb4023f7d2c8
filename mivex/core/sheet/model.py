"""What a sheet is: its grids of cells, and how its frames are played."""

from typing import Any, ClassVar, Literal

from pydantic import Field

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message
from mivex.core.base.settings import OmitDefaultsModel, setting
from mivex.core.picture.traits import FrameRect

MOST = 4096
"""Frames that a sheet may have."""
Play = Literal["loop", "once", "fro", "random"]
PLAYS: dict[str, str] = {"loop": "Again and again", "once": "Once", "fro": "To and fro", "random": "One each, by chance"}


HALVED = "Half as many frames, against the true ones: held {stepped:.1f}, faded {faded:.1f}, moved {moved:.1f} of 255."
"""Said of a `mivex.core.sheet.flow.Halving`."""


class Grid(OmitDefaultsModel):
    """Rows and columns of equal cells, in texels of the picture at full size."""

    columns: int = setting(1, "Columns", "Cells across.", ge=1, le=64, drag=(1, 16))
    rows: int = setting(1, "Rows", "Cells down.", ge=1, le=64, drag=(1, 16))
    left: float = setting(0.0, "Begins across", "Texels before the first cell.", unit="px", ge=0, le=16384, drag=(0, 256))
    top: float = setting(0.0, "Begins down", "Texels above the first cell.", unit="px", ge=0, le=16384, drag=(0, 256))
    width: float = setting(
        0.0, "Cell's width", "Texels; 0: what is left is shared out evenly.", unit="px", ge=0, le=16384, drag=(0, 512)
    )
    height: float = setting(
        0.0, "Cell's height", "Texels; 0: what is left is shared out evenly.", unit="px", ge=0, le=16384, drag=(0, 512)
    )
    gutter: float = setting(0.0, "Gutter", "Texels between cells.", unit="px", ge=0, le=1024, drag=(0, 16))
    count: int = setting(0, "Frames", "How many of the cells are frames, row by row; 0: all.", ge=0, le=MOST, drag=(0, 64))
    unused: tuple[int, ...] = Field((), description="Cells among them that hold no frame, counted row by row from 0.")

    def size(self, width: int, height: int) -> tuple[float, float]:
        """Width and height of a cell in a picture of this size."""
        w = self.width or (width - self.left - self.gutter * (self.columns - 1)) / self.columns
        h = self.height or (height - self.top - self.gutter * (self.rows - 1)) / self.rows
        return w, h

    def cells(self, width: int, height: int) -> list[FrameRect]:
        """The cells that hold frames, row by row, as shares of a picture of this size; raises MivexError."""
        w, h = self.size(width, height)
        right = self.left + self.columns * w + self.gutter * (self.columns - 1)
        low = self.top + self.rows * h + self.gutter * (self.rows - 1)
        if w < 1 or h < 1 or right > width + 0.5 or low > height + 0.5:
            raise MivexError(
                Message(
                    "{columns} × {rows} cells of {w:.4g} × {h:.4g} do not fit into {width} × {height}.",
                    columns=self.columns,
                    rows=self.rows,
                    w=w,
                    h=h,
                    width=width,
                    height=height,
                )
            )
        rows = []
        for k in range(min(self.columns * self.rows, self.count or MOST)):
            if k in self.unused:
                continue
            x = self.left + (k % self.columns) * (w + self.gutter)
            y = self.top + (k // self.columns) * (h + self.gutter)
            rows.append((x / width, y / height, min((x + w) / width, 1.0), min((y + h) / height, 1.0)))
        return rows


class Sheet(OmitDefaultsModel):
    """A picture of several frames."""

    WHEN: ClassVar[dict[str, tuple[str, tuple[Any, ...]]]] = {"vectors": ("blend", (True,))}

    grids: tuple[Grid, ...] = Field((), description="One after the other; none: the picture is no sheet.")
    play: Play = setting("loop", "Plays", "How its frames follow one another.", choices=PLAYS)
    rate: float = setting(12.0, "Speed", "Frames a second.", unit="/s", ge=0.1, le=240, drag=(1, 60))
    blend: bool = setting(False, "Blends frames", "Fades from each frame to the next instead of stepping.")
    vectors: bool = setting(
        False,
        "Moves between",
        "Between two frames what is seen is moved along motion vectors, not only faded: fewer frames look as smooth. "
        "Their vectors are delivered too.",
    )
    hull: int = setting(
        0,
        "Outline",
        "Corners of the polygon that is drawn in place of the whole cell: less empty area is filled; 0: the cell.",
        ge=0,
        le=8,
    )
    hull_each: bool = setting(True, "Each its own", "Every frame has an outline of its own; off: one that holds them all.")
    hull_limit: float = setting(0.02, "Outline from", "Alpha that the outline must hold.", ge=0, le=1)

    def cells(self, width: int, height: int) -> tuple[FrameRect, ...]:
        """The cells of all frames in their order, as shares of a picture of this size; raises MivexError."""
        return tuple(c for g in self.grids for c in g.cells(width, height))

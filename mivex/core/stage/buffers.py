"""What is drawn into: the picture and its depth, where fragments go besides, and the picture as kernels take it."""

from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.pixels.blends import BAYER
from mivex.core.pixels.colour import SCREEN
from mivex.core.stage.camera import View
from mivex.core.stage.lights import Lighting
from mivex.core.stage.records import FRAME

_screen = Lazy("mivex.core.stage.kernels.screen")

GROUND = 0.18
"""Linear grey where nothing is; close to the window's mid grey."""
Box = tuple[int, int, int, int]
"""First row, the one after the last, first column, the one after the last."""
NO_SURFACES = np.zeros((0, 0, 16), np.float32)
Sink = tuple[int, int, NDArray[np.int32], NDArray[np.int32], Floats, NDArray[np.int64]]
"""Where fragments go besides, or instead of, the picture; see `kernels.paint.paint`."""


def sink_of(mode: int = 0, row: int = 0, rows: int = 0, width: int = 0, room: int = 0) -> Sink:
    """A sink for some rows of the picture, with room for so many fragments; its counts are 0, its lists empty."""
    heads = np.zeros((2, rows, width), np.int32)
    if room:
        heads[0] = -1
    return mode, row, heads, np.empty((room, 3), np.int32), np.empty((room, 12), np.float32), np.zeros(1, np.int64)


PICTURE = sink_of()


@dataclass(frozen=True, eq=False)
class Buffers:
    """What drawing leaves: linear RGBA (height, width, 4), and 1/w (height, width)."""

    colour: Floats
    depth: Floats

    @staticmethod
    def of(view: View) -> "Buffers":
        """Fresh ones for a view, not cleared."""
        return Buffers(np.empty((view.height, view.width, 4), np.float32), np.empty((view.height, view.width), np.float32))

    def copy(self) -> "Buffers":
        """A copy of the buffers that shares no memory with them."""
        return Buffers(self.colour.copy(), self.depth.copy())


def frame_record(view: View, buffers: Buffers, lighting: Lighting, scene: Floats | None = None) -> NDArray[Any]:
    """The picture for kernels: one `FRAME`; ``scene``: 1/w of what is solid, where that is not the depth itself."""
    out = np.zeros(1, FRAME)
    out["colour"], out["depth"], out["matrix"] = buffers.colour.ctypes.data, buffers.depth.ctypes.data, BAYER.ctypes.data
    out["scene"] = (buffers.depth if scene is None else scene).ctypes.data
    out["display"] = lighting.blending == "display"
    out["width"], out["height"], out["ground"] = view.width, view.height, GROUND
    out["eye"][0], out["right"][0], out["up"][0], out["ahead"][0] = view.eye, *view.axes
    out["focal"], out["x"], out["y"] = view.focal, view.width / 2, view.height / 2
    return out


@dataclass(frozen=True, eq=False)
class Screen:
    """Where display codes go, and how light is brought to them."""

    codes: NDArray[np.uint8]
    lighting: Lighting

    def write(self, colour: Floats, box: Box) -> None:
        """Write the codes of a box."""
        gain = np.float32(2.0**self.lighting.exposure)
        _screen.to_codes(colour, SCREEN, gain, self.lighting.curve == "soft", self.codes, np.array(box, np.int64))

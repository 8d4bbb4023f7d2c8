"""Drawing the stage: the dock and every placed overlay, in the configured order."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import run_bands
from mivex.core.base.errors import Stopped
from mivex.core.base.types import Floats
from mivex.core.material.material import Material
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import BAYER, BLENDS, GROUPS
from mivex.core.pixels.colour import to_linear, to_screen_rows
from mivex.core.pixels.mips import MipChain
from mivex.core.project.document import Document, Overlay, Place
from mivex.core.stage import placing
from mivex.core.stage.camera import View
from mivex.core.stage.dock import dock
from mivex.core.stage.raster import NEAR, clear, draw, occupancy, project

BACKGROUND = 0.18
"""Linear grey beyond the dock; close to the window's mid grey."""
_EVERYWHERE = np.ones((1, 1), np.uint8)
_f = np.float32


@dataclass(frozen=True, eq=False)
class Item:
    """One thing to draw.

    Attributes
    ----------
    name : str
    tris : float64 array (n, 3, 6)
    mips : MipChain
    occupied : uint8 array
    material : Material
    order : tuple
        Sorting key: draw group, nudge, minus the distance from the eye.
    """

    name: str
    tris: NDArray[np.float64]
    mips: MipChain
    occupied: NDArray[np.uint8]
    material: Material
    order: tuple[int, int, float]


_SOLID = Material(blend="Solid", group="Solid", depth_write=True, both_faces=True)
_SOLID_TILING = _SOLID.model_copy(update={"tiling": True})


def order_key(material: Material, centre: NDArray[np.float64], eye: NDArray[np.float64]) -> tuple[int, int, float]:
    """Sorting key of an object: draw group, then nudge, then from far to near by its centre."""
    return GROUPS.index(material.group), material.nudge, -float(np.linalg.norm(centre - eye))


def overlay_item(overlay: Overlay, place: Place, texture: Texture, view: View) -> Item:
    """What one placement of an overlay puts on the draw list."""
    m = overlay.material
    lit = m.lit and m.blend not in ("Additive", "Multiply")
    place = placing.framed(place, texture.extent)
    return Item(overlay.name, placing.mesh(place, view, lit=lit, pivot=texture.pivot), texture.mips,
                texture_occupancy(texture, m.blend), m,
                order_key(m, placing.middle(place, view, texture.pivot), view.eye))


def texture_occupancy(texture: Texture, blend: str) -> NDArray[np.uint8]:
    """Tiles of a texture that show anything under a blend. Kept with it.

    Premultiplied adds colour whatever alpha says, so there colour counts too; every other blend weighs
    colour by alpha.
    """
    light = blend == "Premultiplied"
    kept = texture.__dict__.setdefault("_occupied", {})
    if light not in kept:
        kept[light] = occupancy(texture.values.max(axis=2) if light else texture.alpha)
    return kept[light]  # type: ignore[no-any-return]


def draw_list(doc: Document, textures: Mapping[str, Texture], view: View) -> list[Item]:
    """Everything to draw, in order. Overlays that are hidden or have no texture are left out."""
    items = [Item(s.name, s.tris, s.mips, _EVERYWHERE, _SOLID_TILING if s.tiling else _SOLID,
                  (GROUPS.index("Solid"), 0, 0.0)) for s in dock()]
    for o in doc.overlays:
        if o.shown and o.id in textures:
            items += [overlay_item(o, p, textures[o.id], view) for p in o.places]
    return sorted(items, key=lambda i: i.order)


@dataclass(frozen=True, eq=False)
class Buffers:
    """What drawing leaves: linear RGBA (height, width, 4), and 1/w (height, width)."""

    colour: Floats
    depth: Floats

    def clear_rows(self, first: int, last: int) -> None:
        """Make some rows the background, infinitely far."""
        clear(self.colour, self.depth, _f(BACKGROUND), first, last)


def new_buffers(view: View) -> Buffers:
    """Buffers for a view, not cleared."""
    return Buffers(np.empty((view.height, view.width, 4), np.float32), np.empty((view.height, view.width), np.float32))


def draw_items(items: list[Item], view: View, buffers: Buffers | None = None, *, clear_first: bool = False,
               screen: NDArray[np.uint8] | None = None, stop: Callable[[], bool] = lambda: False) -> Buffers:
    """Draw a list in its order.

    Parameters
    ----------
    items : list of Item
    view : View
    buffers : Buffers, optional
        Draw into these instead of fresh, cleared ones.
    clear_first : bool
        Clear the given buffers first.
    screen : uint8 array (height, width, 3), optional
        Receives the display codes.
    stop : callable
        Asked once before drawing; true raises Stopped.

    Returns
    -------
    Buffers
    """
    fresh = clear_first or buffers is None
    buffers = buffers or new_buffers(view)
    jobs = []
    for item in items:
        m = item.material
        out = np.empty((2 * len(item.tris), 3, 6))
        count = project(item.tris, view.matrix, view.focal, view.width / 2, view.height / 2, NEAR,
                        m.both_faces, out)
        if count:
            tint = to_linear(np.array(m.tint, np.float32))
            rows = out[:count, :, 1]
            mips = item.mips
            jobs.append((float(rows.min()), float(rows.max()), out, count,
                         mips.texels, mips.offsets, mips.widths, mips.heights, item.occupied,
                         buffers.colour, buffers.depth,
                         (BLENDS[m.blend].code, _f(m.cutoff), tint[0], tint[1], tint[2], _f(m.opacity),
                          m.depth_test, m.depth_write, _f(m.depth_bias / 1000), m.tiling, BAYER)))
    if stop():
        raise Stopped

    def band(first: int, last: int) -> None:
        if fresh:
            buffers.clear_rows(first, last)
        for top, bottom, *buffer, settings in jobs:
            # A call costs more than a look: items outside the band are passed over here.
            if bottom > first and top < last:
                draw(*buffer, first, last, *settings)  # type: ignore[call-arg]

        if screen is not None:
            to_screen_rows(buffers.colour, screen, first, last)

    # Thin bands keep both buffers in the cache of the core that draws them.
    run_bands(view.height, band, per_worker=12, least=16)
    return buffers


def render(doc: Document, textures: Mapping[str, Texture], view: View,
           stop: Callable[[], bool] = lambda: False) -> Buffers:
    """Draw the stage of a document.

    Parameters
    ----------
    doc : Document
    textures : mapping of overlay id to Texture
    view : View
    stop : callable
        Asked before drawing; true raises Stopped.

    Returns
    -------
    Buffers
        Linear light; alpha 0 where nothing but the background was drawn.
    """
    return draw_items(draw_list(doc, textures, view), view, stop=stop)


class Painter:
    """Draws the stage for the screen, keeping its buffers from one picture to the next."""

    def __init__(self) -> None:
        self._buffers: Buffers | None = None

    def paint(self, doc: Document, textures: Mapping[str, Texture], view: View) -> NDArray[np.uint8]:
        """Display codes (height, width, 3) of the stage; see `render`."""
        if self._buffers is None or self._buffers.depth.shape != (view.height, view.width):
            self._buffers = new_buffers(view)
        screen = np.empty((view.height, view.width, 3), np.uint8)
        draw_items(draw_list(doc, textures, view), view, self._buffers, clear_first=True, screen=screen)
        return screen


def pick(doc: Document, textures: Mapping[str, Texture], view: View, x: float, y: float) -> tuple[str, str] | None:
    """Which placement is seen at a place on the picture: overlay id and place id.

    Clear texels do not count, nor what the dock hides; where several lie behind
    each other the nearest is meant.
    """
    origin, ray = view.eye, view.ray(x, y)
    walls = [h[0] for s in dock() if (h := placing.hit(s.tris, origin, ray))]
    limit = min(walls, default=np.inf)
    best: tuple[float, tuple[str, str]] | None = None
    for o in doc.overlays:
        texture = textures.get(o.id)
        if not o.shown or texture is None:
            continue
        for p in o.places:
            found = placing.hit(placing.mesh(placing.framed(p, texture.extent), view, lit=False,
                                               pivot=texture.pivot), origin, ray)
            if not found or (o.material.depth_test and found[0] > limit + 0.02 + o.material.depth_bias / 1000):
                continue
            ty = min(max(int(found[2] * texture.height), 0), texture.height - 1)
            tx = min(max(int(found[1] * texture.width), 0), texture.width - 1)
            if texture.alpha[ty, tx] > 0.01 and (best is None or found[0] < best[0]):
                best = found[0], (o.id, p.id)
    return best[1] if best else None

"""From a document and its evaluated pictures to what the stage draws: the one module that knows both."""

from collections import OrderedDict
from collections.abc import Callable, Mapping

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.types import Floats
from mivex.core.material.material import Material
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import GROUPS
from mivex.core.pixels.mips import MipChain
from mivex.core.project.document import Document, Overlay
from mivex.core.stage import placing
from mivex.core.stage.camera import View
from mivex.core.stage.dock import dock
from mivex.core.stage.draw import Coat, Draw, OrderKey, limits_of, shadow_mask
from mivex.core.stage.lighting import casts
from mivex.core.stage.mesh import hit
from mivex.core.stage.painter import Painter
from mivex.core.stage.passes import Buffers, draw_all
from mivex.core.stage.places import BillboardPlace, Place


def order_key(material: Material, centre: NDArray[np.float64], eye: NDArray[np.float64]) -> OrderKey:
    """Sorting key of an object: draw group, then nudge, then from far to near by its centre."""
    return GROUPS.index(material.group), material.nudge, -float(np.linalg.norm(centre - eye))


def _kept(texture: Texture, name: object, make: Callable[[], object]) -> object:
    held = texture.__dict__.setdefault("_stage", {})
    if name not in held:
        held[name] = make()
    return held[name]


def texture_limits(texture: Texture, blend: str) -> Floats:
    """Limits round what a texture shows under a blend.

    Premultiplied adds colour whatever alpha says, so there colour counts too; every other blend weighs colour by alpha.
    """
    light = blend == "Premultiplied"
    found = _kept(texture, light, lambda: limits_of((texture.values.max(axis=2) if light else texture.alpha) > 0))
    return found  # type: ignore[return-value]


def overlay_draw(overlay: Overlay, place: Place, texture: Texture, view: View) -> Draw:
    """What one placement of an overlay puts on the stage."""
    m = overlay.material
    framed = placing.framed(place, texture.extent)
    draw = Draw(overlay.name, placing.mesh(framed, view, pivot=texture.pivot),
                Coat(texture.mips, texture_limits(texture, m.blend)), m,
                order_key(m, placing.middle(framed, view, texture.pivot), view.eye))
    if not casts(draw) or m.blend == "Solid":
        return draw
    mask = _kept(texture, ("mask", m.blend, m.cutoff, m.opacity), lambda: shadow_mask(texture.alpha, m))
    return Draw(draw.name, draw.mesh, draw.coat, m, draw.order, mask=mask if isinstance(mask, MipChain) else None)


class Scene:
    """Turns documents into draws, and gives the same objects again for whatever has not changed."""

    def __init__(self, keep: int = 4096) -> None:
        self._kept: OrderedDict[tuple[object, ...], tuple[Draw, Texture]] = OrderedDict()
        self._most = keep

    def draws(self, doc: Document, textures: Mapping[str, Texture], view: View) -> list[Draw]:
        """Everything to draw, in order. Overlays that are hidden or have no texture are left out."""
        rows = list(dock().solids)
        for o in doc.overlays:
            if not o.shown or o.id not in textures:
                continue
            texture = textures[o.id]
            for p in o.places:
                # The order goes by the distance from the eye; a billboard turns with the camera besides.
                seen = (view.camera.yaw, view.camera.pitch) if isinstance(p, BillboardPlace) else ()
                key = (o.id, o.name, o.material, p, id(texture), tuple(view.eye), seen)
                if key not in self._kept:
                    self._kept[key] = overlay_draw(o, p, texture, view), texture
                    if len(self._kept) > self._most:
                        self._kept.popitem(last=False)
                self._kept.move_to_end(key)
                rows.append(self._kept[key][0])
        return sorted(rows, key=lambda d: d.order)


def draw_list(doc: Document, textures: Mapping[str, Texture], view: View) -> list[Draw]:
    """Everything to draw, in order; see `Scene.draws`."""
    return Scene().draws(doc, textures, view)


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
        Linear light; alpha 0 where nothing but the ground was drawn.
    """
    return draw_all(draw_list(doc, textures, view), view, doc.lighting, stop=stop)


class StagePainter:
    """Draws the stage of a document for the screen, and only what has changed since the last time."""

    def __init__(self) -> None:
        self.scene, self.painter = Scene(), Painter()

    def paint(self, doc: Document, textures: Mapping[str, Texture], view: View) -> NDArray[np.uint8]:
        """Display codes (height, width, 3)."""
        return self.painter.paint(self.scene.draws(doc, textures, view), view, doc.lighting)


def pick(doc: Document, textures: Mapping[str, Texture], view: View, x: float, y: float) -> tuple[str, str] | None:
    """Which placement is seen at a place on the picture: overlay id and place id.

    Clear texels do not count, nor what the surroundings hide; where several lie behind
    each other the nearest is meant.
    """
    origin, ray = view.eye, view.ray(x, y)
    wall = dock().meet(origin, ray)
    limit = wall[0] if wall else np.inf
    best: tuple[float, tuple[str, str]] | None = None
    for o in doc.overlays:
        texture = textures.get(o.id)
        if not o.shown or texture is None:
            continue
        for p in o.places:
            found = hit(placing.mesh(placing.framed(p, texture.extent), view, pivot=texture.pivot), origin, ray)
            if not found or (o.material.depth_test and found[0] > limit + 0.02 + o.material.depth_bias / 1000):
                continue
            ty = min(max(int(found[2] * texture.height), 0), texture.height - 1)
            tx = min(max(int(found[1] * texture.width), 0), texture.width - 1)
            if texture.alpha[ty, tx] > 0.01 and (best is None or found[0] < best[0]):
                best = found[0], (o.id, p.id)
    return best[1] if best else None

"""From a document and its evaluated pictures to what the stage draws: the one module that knows both."""

import math
import time
from collections import OrderedDict
from collections.abc import Callable, Mapping
from dataclasses import dataclass, replace
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.kept import kept
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.layers.heights import normals_of
from mivex.core.material.material import CHANNEL_NAMES, Channel, Material, Sourced
from mivex.core.material.material import Mapping as MaterialMapping
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import GROUPS
from mivex.core.pixels.colour import to_linear
from mivex.core.pixels.mips import MipChain, build_chain
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import PACKED, Workshop
from mivex.core.stage import placing
from mivex.core.stage.camera import CAMERAS, View
from mivex.core.stage.dock import dock
from mivex.core.stage.draw import Coat, Draw, Input, OrderKey, limits_of, shadow_mask
from mivex.core.stage.exact import draw_exact
from mivex.core.stage.lighting import casts
from mivex.core.stage.looks import display_codes
from mivex.core.stage.mesh import Mesh, crossing, hit, nearest_point
from mivex.core.stage.painter import Painter
from mivex.core.stage.passes import Buffers, draw_all
from mivex.core.stage.places import BillboardPlace, MeshPlace, Place
from mivex.core.stage.surroundings import Surroundings, World, of_mesh, with_person

cv2 = Lazy("cv2")


def order_key(material: Material, at: NDArray[np.float64], eye: NDArray[np.float64]) -> OrderKey:
    """Sorting key of an object: draw group, then nudge, then from far to near by the point that counts."""
    return GROUPS.index(material.group), material.nudge, -float(np.linalg.norm(at - eye))


def _stands(overlay: Overlay, place: Place, texture: Texture, view: View, world: World | None) -> NDArray[np.float64]:
    """The point that an overlay's distance is taken of, as its material says; see `Material.distance`."""
    by = overlay.material.distance
    if by == "nearest":
        mesh = placing.mesh(placing.framed(place, texture.extent), view, texture.pivot, world)
        return nearest_point(mesh, view.eye)
    places = overlay.places if by == "object" else (place,)
    return np.mean([placing.middle(placing.framed(p, texture.extent), view, texture.pivot, world) for p in places], axis=0)


def texture_limits(texture: Texture, blend: str) -> Floats:
    """Limits round what a texture shows under a blend.

    Premultiplied adds colour whatever alpha says, so there colour counts too; every other blend weighs colour by alpha.
    """
    light = blend == "Premultiplied"
    values = texture.values
    return kept(texture, ("limits", light), lambda: limits_of((values.max(axis=2) if light else values[..., 3]) > 0))


def file_key(path: str, meaning: str) -> str:
    """Name under which a picture that a material reads stands among the textures."""
    return f"file:{meaning}:{path}"


def pictures_read(doc: Document) -> list[tuple[str, Literal["colour", "data"]]]:
    """Path and meaning of every picture file that the materials of shown overlays read."""
    rows: list[tuple[str, Literal["colour", "data"]]] = []
    for o in doc.overlays:
        for name, part in dict(o.material.finish).items():
            if isinstance(part, Sourced) and part.source == "file" and part.path:
                rows.append((part.path, "colour" if name in ("colour", "glow") else "data"))
    return sorted(set(rows))


def read_by(material: Material) -> list[str]:
    """Names, among the textures, of everything that a material reads besides the overlay's own."""
    rows = []
    for name, part in dict(material.finish).items():
        if isinstance(part, Sourced) and part.source == "overlay":
            rows.append(part.overlay)
        elif isinstance(part, Sourced) and part.source == "file":
            rows.append(file_key(part.path, "colour" if name in ("colour", "glow") else "data"))
    return rows


class _Pictures:
    """Finds what a material reads, among textures by overlay and by file."""

    def __init__(self, own: Texture, textures: Mapping[str, Texture]) -> None:
        self.own, self.textures = own, textures
        self.used: list[Texture] = [own]

    def texture(self, part: Sourced, meaning: str) -> Texture | None:
        """The texture that a part reads; None: a number, or not there (yet)."""
        if part.source == "own":
            return self.own
        found = self.textures.get(part.overlay if part.source == "overlay" else file_key(part.path, meaning)) \
            if part.source != "number" else None
        if found is not None:
            self.used.append(found)
        return found

    def value(self, part: Channel, name: str = "") -> Input:
        """One value of the surface; what the overlay's own channel of that name holds counts before a number."""
        own = self.own.channels.get(name)
        if own is not None and part.source == "number":
            return Input(1.0, own.mips, PACKED[name])
        t = self.texture(part, "data")
        if t is None:
            return Input(part.value)
        return Input(part.value, t.mips, list(CHANNEL_NAMES).index(part.channel), part.invert)


def _raised(texture: Texture, relief: float) -> MipChain:
    """Normals of a picture whose alpha stands out of the surface, or lies sunk in it."""
    short = float(min(texture.height, texture.width))
    return kept(texture, ("raised", relief), lambda: build_chain(np.dstack(
        [normals_of(np.ascontiguousarray(texture.alpha), short, relief), np.ones(texture.alpha.shape, np.float32)])))


def coat_of(material: Material, pictures: "_Pictures") -> Coat:
    """The pictures on a surface, as the material says."""
    f = material.finish
    colour = pictures.texture(f.colour, "colour") or pictures.own
    plain = f.opacity.source == "own" and f.opacity.channel == "alpha" and not f.opacity.invert and f.opacity.value == 1
    own_alpha = plain and colour is pictures.own
    normal = pictures.texture(f.normal, "data") or pictures.own.channels.get("normal")
    relief = material.on_surface.relief
    raised = _raised(pictures.own, relief) if normal is None and relief and material.group == "Decal" else None
    glow = pictures.texture(f.glow, "colour") or pictures.own.channels.get("emissive")
    # What layers give off shines by itself, as strongly as they say.
    strength = f.glow.strength or (1.0 if "emissive" in pictures.own.channels else 0.0)
    r, g, b = (float(v) * strength for v in to_linear(np.array(f.glow.colour, np.float32)))
    unmapped = material.mapping == MaterialMapping()
    return Coat(colour.mips, texture_limits(colour, material.blend) if own_alpha and unmapped else None,
                None if own_alpha else pictures.value(f.opacity), pictures.value(f.roughness, "roughness"),
                pictures.value(f.metal, "metal"), pictures.value(f.occlusion, "occlusion"),
                normal.mips if normal else raised, f.normal.strength, f.normal.green == "up",
                (r, g, b), glow.mips if glow else None, not colour.data, material.mapping.uv_set, material.mapping.rows)


def meshes_read(doc: Document) -> list[str]:
    """Path of every mesh file that the surroundings or placements are made of."""
    rows = [doc.around.path] + [p.path for o in doc.overlays for p in o.places if isinstance(p, MeshPlace)]
    return sorted({r for r in rows if r})


_worlds: "OrderedDict[tuple[object, ...], World]" = OrderedDict()


def world_of(doc: Document, meshes: Mapping[str, Mesh] | None = None) -> World:
    """What stands round the overlays of a document; the same object as long as nothing of it changes.

    Where the mesh of the surroundings is not there (yet), the stage is empty.
    """
    found = meshes or {}
    key = (doc.around, tuple((k, id(m)) for k, m in sorted(found.items())))
    if key not in _worlds:
        if not doc.around.path:
            around = dock()
        elif doc.around.path in found:
            around = of_mesh(found[doc.around.path], doc.around)
        else:
            around = Surroundings("nothing", ())
        if doc.around.person:
            around = with_person(around)
        _worlds[key] = World(around, dict(found))
        if len(_worlds) > 8:
            _worlds.popitem(last=False)
    return _worlds[key]


def place_mesh(place: Place, world: World, view: View | None = None) -> Mesh:
    """The mesh that a placement puts on the stage; ``view`` counts for what turns to it."""
    return placing.mesh(place, view or View(CAMERAS[0], 640, 512), world=world)


def overlay_draw(overlay: Overlay, place: Place, texture: Texture, view: View,
                 textures: Mapping[str, Texture] | None = None, world: World | None = None) -> Draw:
    """What one placement of an overlay puts on the stage; ``textures`` are those that its material may read."""
    return _drawn(overlay, place, _Pictures(texture, textures or {}), view, world)


def _drawn(overlay: Overlay, place: Place, pictures: _Pictures, view: View, world: World | None) -> Draw:
    m, texture = overlay.material, pictures.own
    framed = placing.framed(place, texture.extent)
    draw = Draw(overlay.name, placing.mesh(framed, view, texture.pivot, world), coat_of(m, pictures), m,
                order_key(m, _stands(overlay, place, texture, view, world), view.eye), owner=overlay.id,
                part=str(next((i for i, p in enumerate(overlay.places, 1) if p.id == place.id), 1)))
    if not casts(draw) or m.blend == "Solid":
        return draw
    opacity = draw.coat.opacity

    def make() -> MipChain:
        if opacity is None or opacity.chain is None:
            return shadow_mask(texture.alpha if opacity is None else np.full((1, 1), opacity.value, np.float32), m)
        a = opacity.chain.level(0)[..., opacity.lane]
        return shadow_mask(((1 - a) if opacity.invert else a) * np.float32(opacity.value), m)

    # Kept with the picture that it was made of, so that it goes when that goes.
    owner = texture if opacity is None or opacity.chain is None else opacity.chain
    where = (opacity.lane, opacity.invert, opacity.value) if opacity else None
    return replace(draw, mask=kept(owner, ("mask", m.blend, m.cutoff, m.opacity, where), make))


def gathered(doc: Document, shop: Workshop) -> tuple[dict[str, Texture], dict[str, Mesh]]:
    """Everything that drawing a document needs, at full size: textures (also of files, by `file_key`) and meshes.

    Raises MivexError where something cannot be prepared.
    """
    textures = {o.id: shop.texture(o, doc) for o in doc.overlays if o.source.ready and o.shown}
    for o in doc.overlays:
        for key in read_by(o.material):
            other = doc.overlay(key)
            if other is not None and key not in textures and other.source.ready:
                textures[key] = shop.texture(other, doc)
    for path, meaning in pictures_read(doc):
        textures[file_key(path, meaning)] = shop.file_texture(path, meaning)
    return textures, {p: shop.mesh(p).mesh for p in meshes_read(doc)}


def codes_of(drawn: Buffers, doc: Document) -> NDArray[np.uint8]:
    """Display codes (height, width, 3) of what was drawn, by the document's exposure and view curve."""
    return display_codes(drawn, doc.lighting)


class Scene:
    """Turns documents into draws, and gives the same objects again for whatever has not changed."""

    def __init__(self) -> None:
        # Only what the last two pictures needed: each entry holds on to textures and meshes.
        self._kept: dict[object, tuple[Draw, object]] = {}
        self._shapes: dict[object, tuple[Draw, object]] = {}
        self._now: set[object] = set()
        self._before: set[object] = set()

    def _keep(self, table: dict[object, tuple[Draw, object]], key: object,
              make: Callable[[], tuple[Draw, object]]) -> Draw:
        if key not in table:
            table[key] = make()
        self._now.add(key)
        return table[key][0]

    def _forget(self) -> None:
        for table in (self._kept, self._shapes):
            for key in table.keys() - self._now - self._before:
                del table[key]
        self._before, self._now = self._now, set()

    def draws(self, doc: Document, textures: Mapping[str, Texture], view: View,
              meshes: Mapping[str, Mesh] | None = None) -> list[Draw]:
        """Everything to draw, in order. Overlays that are hidden or have no texture or mesh are left out."""
        world = world_of(doc, meshes)
        rows = list(world.surroundings.solids)
        for o in doc.overlays:
            if not o.shown or o.id not in textures:
                continue
            texture = textures[o.id]
            for p in o.places:
                if isinstance(p, MeshPlace) and p.path not in world.meshes:
                    continue
                # The order goes by the distance from the eye; a billboard turns with the camera besides.
                seen = (view.camera.yaw, view.camera.pitch) if isinstance(p, BillboardPlace) else ()
                read = tuple(id(textures.get(k)) for k in read_by(o.material))
                others = o.places if o.material.distance == "object" else ()
                shape = (o.id, o.name, o.material, p, id(texture), read, seen, id(world), others)

                def make(o: Overlay = o, p: Place = p, texture: Texture = texture) -> tuple[Draw, object]:
                    pictures = _Pictures(texture, textures)
                    return _drawn(o, p, pictures, view, world), (pictures.used, world)

                def placed(o: Overlay = o, p: Place = p, texture: Texture = texture,
                           shape: tuple[object, ...] = shape, make: Callable[[], tuple[Draw, object]] = make) -> tuple[
                               Draw, object]:
                    # Mesh, pictures and mask stay; only when it comes changes with the eye.
                    drawn = self._keep(self._shapes, shape, make)
                    order = order_key(o.material, _stands(o, p, texture, view, world), view.eye)
                    return replace(drawn, order=order), self._shapes[shape][1]

                rows.append(self._keep(self._kept, (shape, tuple(view.eye)), placed))
        self._forget()
        return sorted(rows, key=lambda d: d.order)


def draw_list(doc: Document, textures: Mapping[str, Texture], view: View,
              meshes: Mapping[str, Mesh] | None = None) -> list[Draw]:
    """Everything to draw, in order; see `Scene.draws`."""
    return Scene().draws(doc, textures, view, meshes)


def render(doc: Document, textures: Mapping[str, Texture], view: View, meshes: Mapping[str, Mesh] | None = None,
           stop: Callable[[], bool] = lambda: False, *, exact: bool = False) -> Buffers:
    """Draw the stage of a document.

    Parameters
    ----------
    doc : Document
    textures : mapping of overlay id to Texture
    view : View
    meshes : mapping of path to Mesh, optional
        Those of `meshes_read`.
    stop : callable
        Asked before drawing; true raises Stopped.
    exact : bool
        In exact order instead of the one that is set.

    Returns
    -------
    Buffers
        Linear light; alpha 0 where nothing but the ground was drawn.
    """
    draw = draw_exact if exact else draw_all
    return draw(draw_list(doc, textures, view, meshes), view, doc.lighting, stop=stop)


QUICK = 1 / 33
"""Seconds that a picture may take while the camera moves."""
COARSEST = 4


class StagePainter:
    """Draws the stage of a document for the screen, and only what has changed since the last time."""

    def __init__(self) -> None:
        self.scene, self.painter, self.rough = Scene(), Painter(), Painter()
        self._pixel = 150e-9

    def paint(self, doc: Document, textures: Mapping[str, Texture], view: View, *,
              meshes: Mapping[str, Mesh] | None = None, moving: bool = False) -> NDArray[np.uint8]:
        """Display codes (height, width, 3); ``moving``: soon enough rather than sharp."""
        draws = self.scene.draws(doc, textures, view, meshes)
        if not moving:
            begun = time.perf_counter()
            codes = self.painter.paint(draws, view, doc.lighting)
            if self.painter.drawn == ((0, view.height, 0, view.width),):
                self._pixel = (time.perf_counter() - begun) / (view.width * view.height)
            return codes
        coarse = min(max(math.ceil(math.sqrt(view.width * view.height * self._pixel / QUICK)), 1), COARSEST)
        small = View(view.camera, max(1, round(view.width / coarse)), max(1, round(view.height / coarse)))
        codes = self.rough.paint(draws, small, doc.lighting)
        return np.asarray(cv2.resize(codes, (view.width, view.height), interpolation=cv2.INTER_LINEAR))


@dataclass(frozen=True)
class Touch:
    """Where a ray meets an overlay: place in its picture as shares, triangle of the mesh, and whether from the front."""

    u: float
    v: float
    face: int
    front: bool


def touched_at(doc: Document, overlay: Overlay, texture: Texture, view: View, at: tuple[float, float],
               meshes: Mapping[str, Mesh] | None = None) -> Touch | None:
    """The nearest place where an overlay is met under a place on the stage's picture, clear or not; None: nowhere."""
    origin, ray = view.eye, view.ray(*at)
    world = world_of(doc, meshes)
    wall = world.surroundings.meet(origin, ray)
    limit = (wall[0] if wall else np.inf) + 0.02 + overlay.material.depth_bias / 1000
    best: tuple[float, Touch] | None = None
    for p in overlay.places:
        if isinstance(p, MeshPlace) and p.path not in world.meshes:
            continue
        mesh = placing.mesh(placing.framed(p, texture.extent), view, texture.pivot, world)
        found = crossing(mesh, origin, ray)
        if found is None or (overlay.material.depth_test and found[0] > limit) or (best and best[0] <= found[0]):
            continue
        t, face, w = found
        corners = mesh.uv(overlay.material.mapping.uv_set)[mesh.index[face]]
        (a, b, c), (d, e, f) = overlay.material.mapping.rows
        placed = corners @ np.array([[a, d], [b, e]]) + (c, f)
        # Beyond the picture it is read as if it repeated: each face is brought back by whole pictures.
        u, v = w @ (placed - np.floor(placed.mean(axis=0)))
        a0, b0, c0 = mesh.position[mesh.index[face]]
        front = float(np.cross(b0 - a0, c0 - a0) @ ray) < 0
        best = t, Touch(float(u), float(v), face, front)
    return best[1] if best else None


def pick(doc: Document, textures: Mapping[str, Texture], view: View, x: float, y: float,
         meshes: Mapping[str, Mesh] | None = None) -> tuple[str, str] | None:
    """Which placement is seen at a place on the picture: overlay id and place id.

    Clear texels do not count, nor what the surroundings hide; where several lie behind
    each other the nearest is meant.
    """
    origin, ray = view.eye, view.ray(x, y)
    world = world_of(doc, meshes)
    wall = world.surroundings.meet(origin, ray)
    limit = wall[0] if wall else np.inf
    best: tuple[float, tuple[str, str]] | None = None
    for o in doc.overlays:
        texture = textures.get(o.id)
        if not o.shown or texture is None:
            continue
        for p in o.places:
            found = hit(placing.mesh(placing.framed(p, texture.extent), view, texture.pivot, world), origin, ray)
            if not found or (o.material.depth_test and found[0] > limit + 0.02 + o.material.depth_bias / 1000):
                continue
            ty = min(max(int(found[2] * texture.height), 0), texture.height - 1)
            tx = min(max(int(found[1] * texture.width), 0), texture.width - 1)
            if texture.alpha[ty, tx] > 0.01 and (best is None or found[0] < best[0]):
                best = found[0], (o.id, p.id)
    return best[1] if best else None

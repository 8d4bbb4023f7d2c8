"""From a document and its evaluated pictures to what the stage draws: the one module that knows both."""

from collections import OrderedDict, deque
from collections.abc import Callable, Mapping
from dataclasses import replace
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.kept import memoized_on, serial
from mivex.core.base.lazy import Lazy
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import BLENDS, GROUPS
from mivex.core.pixels.mips import MipChain
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import Evaluator
from mivex.core.scene.material_binding import (
    Pictures,
    file_key,
    flowing,
    into_frame,
    order_key,
    picture_files_read,
    read_by,
    shading_inputs,
)
from mivex.core.scene.playback import EmitterSimulations, SheetFrame, frame_vectors, hulls_of, shown_frame
from mivex.core.stage import placement_geometry as placing
from mivex.core.stage.buffers import Buffers
from mivex.core.stage.camera import CAMERAS, View
from mivex.core.stage.dock import dock
from mivex.core.stage.draw import DrawCall, shadow_mask
from mivex.core.stage.exact import draw_exact
from mivex.core.stage.lighting import casts
from mivex.core.stage.looks import display_codes
from mivex.core.stage.mesh import FACTS, Mesh, nearest_point, outlined
from mivex.core.stage.passes import draw_all
from mivex.core.stage.placements_model import BillboardPlace, MeshPlace, PanelPlace, Place, ShapePlace
from mivex.core.stage.surroundings import Surroundings, World, of_mesh, with_person

cv2 = Lazy("cv2")


def stands_at(overlay: Overlay, place: Place, texture: Texture, view: View, world: World | None) -> NDArray[np.float64]:
    """The point that an overlay's distance is taken of, as its material says; see `Material.distance`."""
    if overlay.material.distance == "object":
        return np.array(_middle_of_all(overlay, texture, view, world))
    framed = placing.framed(place, texture.extent)
    if overlay.material.distance == "nearest":
        return nearest_point(placing.mesh(framed, view, texture.pivot, world), view.eye)
    return placing.middle(framed, view, texture.pivot, world)


def _middle_of_all(overlay: Overlay, texture: Texture, view: View, world: World | None) -> tuple[float, float, float]:
    """The point that the distance is taken of where it is measured by the whole object: the mean of its placements."""
    rows = [placing.middle(placing.framed(p, texture.extent), view, texture.pivot, world) for p in overlay.places]
    x, y, z = np.mean(rows, axis=0).tolist()
    return x, y, z


def meshes_read(doc: Document) -> list[str]:
    """Path of every mesh file that the surroundings or placements are made of."""
    rows = [doc.around.path] + [p.path for o in doc.overlays for p in o.places if isinstance(p, MeshPlace)]
    rows += [part.emission.mesh for e in doc.effects for part in e.parts if part.emission.form == "mesh"]
    return sorted({r for r in rows if r})


_worlds: "OrderedDict[tuple[object, ...], World]" = OrderedDict()


def build_environment(doc: Document, meshes: Mapping[str, Mesh] | None = None) -> World:
    """What stands round the overlays of a document; the same object as long as nothing of it changes.

    Where the mesh of the surroundings is not there (yet), the stage is empty.
    """
    found = meshes or {}
    key = (doc.around, tuple((k, serial(m)) for k, m in sorted(found.items())))
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


def overlay_draw(
    overlay: Overlay,
    place: Place,
    texture: Texture,
    view: View,
    textures: Mapping[str, Texture] | None = None,
    world: World | None = None,
) -> DrawCall:
    """What one placement of an overlay puts on the stage; ``textures`` are those that its material may read."""
    order = order_key(overlay.material, stands_at(overlay, place, texture, view, world), view.eye)
    return replace(_drawn(overlay, place, Pictures(texture, textures or {}), view, world), order=order)


def lasting_mesh(overlay: Overlay, place: Place, texture: Texture, world: World) -> Mesh:
    """The mesh of a placement for those who keep it: what turns to the camera faces the dock's front, uncut."""
    if isinstance(place, BillboardPlace):
        same = {k: getattr(place, k) for k in ("at", "roll", "width", "height", "pivot")}
        place = PanelPlace(**same)
    return placing.mesh(placing.framed(place, texture.extent), View(CAMERAS[0], 640, 512), texture.pivot, world)


def _number(overlay: Overlay, place: Place) -> int:
    """Which of its overlay's placements one is, from 1."""
    return next((i for i, p in enumerate(overlay.places, 1) if p.id == place.id), 1)


def frame_at(overlay: Overlay, place: Place, texture: Texture, time: float) -> SheetFrame:
    """The frame of a sheet that a placement shows; of a picture, all of it."""
    return shown_frame(overlay.sheet, texture.traits.cells, time, _number(overlay, place) - 1)


def is_sliced(place: Place, texture: Texture) -> bool:
    """Whether every panel of a stack shows a frame of its own."""
    stack = isinstance(place, ShapePlace) and place.form == "stack" and place.slices == "frames"
    return stack and bool(texture.traits.cells)


def mesh_of(overlay: Overlay, place: Place, texture: Texture, view: View, world: World | None, shown: SheetFrame) -> Mesh:
    """The mesh of a placement, with its frames where they blend, and cut to its outline where it is flat."""
    framed = placing.framed(place, texture.extent)
    outlines = hulls_of(overlay, texture) if place.mount in ("panel", "billboard") else None
    if outlines:
        cells = texture.traits.cells
        corners = outlines[cells.index(shown.cell) if cells else 0].corners
        if isinstance(framed, PanelPlace):
            whole = placing.mesh(framed.model_copy(update={"cuts": ()}), view, texture.pivot, world)
            mesh = placing.cut_to(whole, corners, framed, texture.pivot)
        else:
            mesh = outlined(placing.mesh(framed, view, texture.pivot, world), corners)
    else:
        mesh = placing.mesh(framed, view, texture.pivot, world)
    if is_sliced(place, texture):
        frames = np.array(texture.traits.cells)
        panels = len(mesh.position) // 4
        box = frames[np.minimum(np.arange(panels) * len(frames) // panels, len(frames) - 1)].repeat(4, axis=0)
        return replace(mesh, uv0=box[:, :2] + mesh.uv0 * (box[:, 2:] - box[:, :2]))
    if shown.share > 0 and mesh.facts is None:
        facts = np.zeros((len(mesh.index), len(FACTS)))
        x0, y0, x1, y1 = shown.cell
        facts[:, 2:] = *shown.step, shown.share, x0, y0, x1 - x0, y1 - y0
        mesh = replace(mesh, facts=facts)
    return mesh


def _drawn(overlay: Overlay, place: Place, pictures: Pictures, view: View, world: World | None) -> DrawCall:
    """One placement, all but when it comes: that changes with the eye while everything else stays."""
    m, texture = flowing(overlay.material, view.time), pictures.own
    shown = frame_at(overlay, place, texture, view.time)
    coat = replace(shading_inputs(m, pictures), vectors=frame_vectors(overlay.sheet, texture))
    if texture.traits.cells and not is_sliced(place, texture):
        coat = replace(coat, uv_map=into_frame(coat.uv_map, shown.cell))
    draw = DrawCall(
        overlay.name,
        mesh_of(overlay, place, texture, view, world, shown),
        coat,
        m,
        (GROUPS.index(m.group), m.nudge, 0.0),
        owner=overlay.id,
        part=str(_number(overlay, place)),
    )
    if not casts(draw) or not BLENDS[m.blend].uses_alpha:
        return draw
    opacity, mask = draw.coat.opacity, draw.coat.mask

    def make() -> MipChain:
        if opacity is None or opacity.chain is None:
            return shadow_mask(texture.alpha if opacity is None else np.full((1, 1), opacity.value, np.float32), m, mask)
        a = opacity.chain.level(0)[..., opacity.lane]
        return shadow_mask(((1 - a) if opacity.invert else a) * np.float32(opacity.value), m, mask)

    # Kept with the picture that it was made of, so that it goes when that goes.
    owner = texture if opacity is None or opacity.chain is None else opacity.chain
    where = (opacity.lane, opacity.invert, opacity.value) if opacity else None
    eaten = (m.erosion, m.breakup, serial(mask.chain) if mask and mask.chain is not None else 0)
    return replace(draw, mask=memoized_on(owner, ("mask", m.blend, m.cutoff, m.opacity, where, eaten), make))


def load_scene_inputs(doc: Document, evaluator: Evaluator) -> tuple[dict[str, Texture], dict[str, Mesh]]:
    """Everything that drawing a document needs, at full size: textures (also of files, by `file_key`) and meshes.

    Raises MivexError where something cannot be prepared.
    """
    textures = {o.id: evaluator.texture(o, doc) for o in doc.overlays if o.source.ready and o.shown}
    for o in doc.overlays:
        for key in read_by(o.material):
            other = doc.overlay(key)
            if other is not None and key not in textures and other.source.ready:
                textures[key] = evaluator.texture(other, doc)
    for path, meaning in picture_files_read(doc):
        textures[file_key(path, meaning)] = evaluator.file_texture(path, meaning)
    return textures, {p: evaluator.mesh(p).mesh for p in meshes_read(doc)}


def codes_of(drawn: Buffers, doc: Document) -> NDArray[np.uint8]:
    """Display codes (height, width, 3) of what was drawn, by the document's exposure and view curve."""
    return display_codes(drawn, doc.lighting)


class _Key:
    """Values by which something is kept; hashed once, which takes longer than all else where a material is among them."""

    __slots__ = ("_hash", "parts")

    def __init__(self, *parts: object) -> None:
        self.parts, self._hash = parts, hash(parts)

    def __hash__(self) -> int:
        return self._hash

    def __eq__(self, other: object) -> bool:
        return isinstance(other, _Key) and self._hash == other._hash and self.parts == other.parts


class Scene:
    """Turns documents into draws, and gives the same objects again for whatever has not changed.

    Parameters
    ----------
    pictures : int
        How many pictures back something may have been needed last: more than one camera asks in turn.
    """

    def __init__(self, pictures: int = 2) -> None:
        # Only what the last pictures needed: each entry holds on to textures and meshes.
        self._kept: dict[object, tuple[DrawCall, object]] = {}
        self._shapes: dict[object, tuple[DrawCall, object]] = {}
        self._flows = EmitterSimulations()
        self._still: tuple[tuple[Any, ...], list[DrawCall], set[object]] | None = None
        self._now: set[object] = set()
        self._before: deque[set[object]] = deque(maxlen=pictures - 1)

    def _keep(
        self, table: dict[object, tuple[DrawCall, object]], key: object, make: Callable[[], tuple[DrawCall, object]]
    ) -> DrawCall:
        if key not in table:
            table[key] = make()
        self._now.add(key)
        return table[key][0]

    def _forget(self) -> None:
        for table in (self._kept, self._shapes):
            for key in table.keys() - self._now.union(*self._before):
                del table[key]
        self._before.append(self._now)
        self._now = set()

    def draws(
        self, doc: Document, textures: Mapping[str, Texture], view: View, meshes: Mapping[str, Mesh] | None = None
    ) -> list[DrawCall]:
        """Everything to draw, in order. Overlays that are hidden or have no texture or mesh are left out."""
        world = build_environment(doc, meshes)
        rows = list(world.surroundings.solids)
        # Of a picture that differs only in its time from the last one, most stands as it did.
        still = (view.camera, world, doc.overlays, [textures.get(o.id) for o in doc.overlays], len(textures))
        same = self._still is not None and _identical(self._still[0], still)
        found: list[DrawCall] = []
        for o in doc.overlays:
            if not o.shown or o.id not in textures:
                continue
            texture = textures[o.id]
            moves = bool(texture.traits.cells or o.material.flow.strength > 0)
            if same and not moves:
                continue
            # Once for all placements: for each anew it would grow with the square of their number.
            whole = _middle_of_all(o, texture, view, world) if o.material.distance == "object" and o.places else None
            for p in o.places:
                if isinstance(p, MeshPlace) and p.path not in world.meshes:
                    continue
                # The order goes by the distance from the eye; a billboard turns with the camera besides.
                seen = (view.camera.yaw, view.camera.pitch) if isinstance(p, BillboardPlace) else ()
                read = tuple(serial(t) if (t := textures.get(k)) is not None else 0 for k in read_by(o.material))
                frame = (frame_at(o, p, texture, view.time), o.sheet) if texture.traits.cells or o.sheet.hull else ()
                flows = view.time if o.material.flow.strength > 0 else 0.0
                shape = _Key(o.id, o.name, o.material, p, serial(texture), read, seen, serial(world), frame, flows)

                def make(o: Overlay = o, p: Place = p, texture: Texture = texture) -> tuple[DrawCall, object]:
                    pictures = Pictures(texture, textures)
                    return _drawn(o, p, pictures, view, world), (pictures.used, world)

                def placed(
                    o: Overlay = o,
                    p: Place = p,
                    texture: Texture = texture,
                    shape: _Key = shape,
                    make: Callable[[], tuple[DrawCall, object]] = make,
                    whole: tuple[float, float, float] | None = whole,
                ) -> tuple[DrawCall, object]:
                    # Mesh, pictures and mask stay; only when it comes changes with the eye.
                    drawn = self._keep(self._shapes, shape, make)
                    at = stands_at(o, p, texture, view, world) if whole is None else np.array(whole)
                    order = order_key(o.material, at, view.eye)
                    return replace(drawn, order=order), self._shapes[shape][1]

                drawn = self._keep(self._kept, _Key(shape, tuple(view.eye), whole), placed)
                (rows if moves else found).append(drawn)
        if same and self._still is not None:
            found, marks = self._still[1], self._still[2]
            self._now |= marks
        else:
            marks = set(self._now)
        self._still = still, found, marks
        rows += found
        self._forget()
        if doc.effects:
            rows += self._flows.draws(doc, textures, view, world)
        return sorted(rows, key=lambda d: d.order)


def _identical(a: tuple[Any, ...], b: tuple[Any, ...]) -> bool:
    """Whether two pictures are of the same overlays with the same textures, seen alike."""
    return (
        a[0] == b[0]
        and a[1] is b[1]
        and a[2] is b[2]
        and a[4] == b[4]
        and len(a[3]) == len(b[3])
        and all(x is y for x, y in zip(a[3], b[3], strict=True))
    )


def draw_list(
    doc: Document, textures: Mapping[str, Texture], view: View, meshes: Mapping[str, Mesh] | None = None
) -> list[DrawCall]:
    """Everything to draw, in order; see `Scene.draws`."""
    return Scene().draws(doc, textures, view, meshes)


def render(
    doc: Document,
    textures: Mapping[str, Texture],
    view: View,
    meshes: Mapping[str, Mesh] | None = None,
    stop: Callable[[], bool] = lambda: False,
    *,
    exact: bool = False,
) -> Buffers:
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

"""Hit tests on the stage: which placement is seen at a pixel, and which texel of an overlay lies there."""

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np

from mivex.core.base.types import Doubles
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Document, Overlay
from mivex.core.scene.draw_calls import build_environment, frame_at, is_sliced, mesh_of
from mivex.core.stage import placement_geometry as placing
from mivex.core.stage.camera import View
from mivex.core.stage.draw import DrawCall
from mivex.core.stage.ledger import fragments_at
from mivex.core.stage.mesh import Mesh, crossing
from mivex.core.stage.pixel_history import DRAWN
from mivex.core.stage.placements_model import MeshPlace


@dataclass(frozen=True)
class MeshSpot:
    """A place on a mesh, in the mesh's own space.

    Attributes
    ----------
    path : str
        The mesh's file.
    at, normal : (x, y, z)
        The place, and the direction that the face under it shows.
    metre, pixel : float
        A metre of the stage, and a pixel of the picture at that distance, in units of the mesh.
    """

    path: str
    at: tuple[float, float, float]
    normal: tuple[float, float, float]
    metre: float
    pixel: float


@dataclass(frozen=True)
class SurfaceHit:
    """Where a ray meets an overlay.

    Attributes
    ----------
    u, v : float
        Place in its picture, as shares.
    face : int
        Triangle of the mesh.
    front : bool
        It is met from the front.
    spot : MeshSpot, optional
        The place on the mesh of a file that carries it.
    """

    u: float
    v: float
    face: int
    front: bool
    spot: MeshSpot | None = None


def _spot(place: MeshPlace, loaded: Mesh, face: int, weights: Doubles, view: View, far: float) -> MeshSpot:
    mesh = placing.with_uvs(place, loaded)
    a, b, c = mesh.position[mesh.index[face]]
    at = weights @ np.stack([a, b, c])
    n = np.cross(b - a, c - a)
    n = n * (-1.0 if float(n @ mesh.normal[mesh.index[face]].sum(axis=0)) < 0 else 1.0)
    n = n / max(float(np.linalg.norm(n)), 1e-30)
    metre = max(float(np.ptp(mesh.position, axis=0).max()), 1e-9) / place.width
    x, y, z, nx, ny, nz = (round(float(v), 7) for v in (*at, *n))
    return MeshSpot(place.path, (x, y, z), (nx, ny, nz), metre, far / view.focal * metre)


def touched_at(
    doc: Document,
    overlay: Overlay,
    texture: Texture,
    view: View,
    at: tuple[float, float],
    meshes: Mapping[str, Mesh] | None = None,
) -> SurfaceHit | None:
    """The nearest place where an overlay is met under a place on the stage's picture, clear or not; None: nowhere."""
    origin, ray = view.eye, view.ray(*at)
    world = build_environment(doc, meshes)
    wall = world.surroundings.meet(origin, ray)
    limit = (wall[0] if wall else np.inf) + 0.02 + overlay.material.depth_bias / 1000
    best: tuple[float, SurfaceHit] | None = None
    for p in overlay.places:
        if isinstance(p, MeshPlace) and p.path not in world.meshes:
            continue
        mesh = placing.mesh(placing.framed(p, texture.extent), view, texture.pivot, world)
        if is_sliced(p, texture):
            mesh = mesh_of(overlay, p, texture, view, world, frame_at(overlay, p, texture, view.time))
        found = crossing(mesh, origin, ray)
        if found is None or (overlay.material.depth_test and found[0] > limit) or (best and best[0] <= found[0]):
            continue
        t, face, w = found
        corners = mesh.uv(overlay.material.mapping.uv_set)[mesh.index[face]]
        (a, b, c), (d, e, f) = overlay.material.mapping.rows
        placed = corners @ np.array([[a, d], [b, e]]) + (c, f)
        # Beyond the picture it is read as if it repeated: each face is brought back by whole pictures.
        u, v = w @ (placed - np.floor(placed.mean(axis=0)))
        if texture.traits.cells and not is_sliced(p, texture):
            x0, y0, x1, y1 = frame_at(overlay, p, texture, view.time).cell
            u, v = x0 + u * (x1 - x0), y0 + v * (y1 - y0)
        a0, b0, c0 = mesh.position[mesh.index[face]]
        front = float(np.cross(b0 - a0, c0 - a0) @ ray) < 0
        spot = None
        if isinstance(p, MeshPlace) and not is_sliced(p, texture):
            far = float((origin + ray * t - view.eye) @ view.axes[2])
            spot = _spot(p, world.meshes[p.path], face, w, view, max(far, 1e-6))
        best = t, SurfaceHit(float(u), float(v), face, front, spot)
    return best[1] if best else None


LEAST_SEEN = 0.01
"""Alpha, or light that is added, from which on a fragment can be pointed at."""


def pick(doc: Document, draws: list[DrawCall], view: View, x: float, y: float) -> tuple[str, str] | None:
    """Which placement is seen at a place on the picture: overlay id and place id.

    It is read from the pixel's own fragments, as the ledger lists them: mapping, the sheet's frame, cutoff, what eats into
    an overlay and what hides it count exactly as in the picture. Clear texels do not count; where several lie behind each
    other the nearest is meant. Particles are no placements.

    Parameters
    ----------
    doc : Document
        What was drawn.
    draws : list of DrawCall
        What the picture was drawn from; see `Scene.draws`.
    view : View
    x, y : float
        In pixels from the top left.
    """
    if not (0 <= x < view.width and 0 <= y < view.height):
        return None
    moving = {(d.owner, d.part, d.name) for d in draws if d.moving}
    seen = [
        r
        for r in fragments_at(draws, view, int(x), int(y), doc.lighting)
        if r.owner
        and r.code == DRAWN
        and (r.owner, r.part, r.name) not in moving
        and (r.colour[3] > LEAST_SEEN or (r.blend == "Premultiplied" and max(r.colour[:3]) > LEAST_SEEN))
    ]
    for r in sorted(seen, key=lambda r: r.depth):
        o = doc.overlay(r.owner)
        if o is not None and r.part.isdigit() and int(r.part) <= len(o.places):
            return o.id, o.places[int(r.part) - 1].id
    return None

"""From placements to triangles, and from a drag in the picture back to a placement."""

import math
from dataclasses import replace

import numpy as np

from mivex.core.base.types import Doubles
from mivex.core.stage import primitives as forms
from mivex.core.stage.camera import View
from mivex.core.stage.cuts import WHOLE, centroid, clipped
from mivex.core.stage.decal_projection import projected
from mivex.core.stage.geometry import HULL_AT, HULL_FROM, HULL_R, HULL_TO, hull_point
from mivex.core.stage.mesh import Mesh, outlined, quad, sheet
from mivex.core.stage.placements_model import (
    BillboardPlace,
    HullPlace,
    MeshPlace,
    PanelPlace,
    Pivot,
    Place,
    ProjectedPlace,
    ShapePlace,
    SurfacePlace,
)
from mivex.core.stage.second_uv_set import with_second
from mivex.core.stage.surface_projection import lay
from mivex.core.stage.surroundings import World


def facing(place: PanelPlace | SurfacePlace | MeshPlace | ShapePlace | ProjectedPlace) -> Doubles:
    """Unit direction that a placement faces, from its yaw and pitch."""
    yaw, pitch = math.radians(place.yaw), math.radians(place.pitch)
    return np.array([math.sin(yaw) * math.cos(pitch), math.sin(pitch), math.cos(yaw) * math.cos(pitch)])


def angles(direction: Doubles) -> tuple[float, float]:
    """Yaw and pitch in degrees of a unit direction; the inverse of `facing`."""
    pitch = math.degrees(math.asin(min(max(float(direction[1]), -1.0), 1.0)))
    # Straight up or down any yaw gives the same direction; 0 keeps a placement from spinning while it is dragged over a
    # pole.
    return math.degrees(math.atan2(direction[0], direction[2])) if abs(direction[1]) < 0.9999 else 0.0, pitch


def frame(place: Place, view: View) -> tuple[Doubles, Doubles, Doubles]:
    """Centre, and half extents to the right and upwards, of a placement as world vectors (3,)."""
    # Roll turns last, in the placement's own plane; every kind agrees on that, so that one handle serves them all.
    roll = math.radians(place.roll)
    if isinstance(place, HullPlace):
        p, n = hull_point(np.array(place.along), np.array(place.around))
        right, up = np.array([1.0, 0.0, 0.0]), np.cross(n, [1.0, 0.0, 0.0])
        centre = p
    elif isinstance(place, BillboardPlace):
        centre, right, up = np.array(place.at), view.axes[0], view.axes[1]
        if place.upright:
            up = np.array([0.0, 1.0, 0.0])
    elif isinstance(place, SurfacePlace | ProjectedPlace):
        n = facing(place)
        centre = np.array(place.at)
        # On a floor (within 18 degrees, whose cosine is 0.95) up would be next to parallel to the normal, and the cross
        # product next to nothing: there away from the viewer counts as up.
        over = np.array([0.0, 1.0, 0.0]) if abs(n[1]) < 0.95 else np.array([0.0, 0.0, -1.0])
        right = np.cross(over, n)
        right /= np.linalg.norm(right)
        up = np.cross(n, right)
    else:
        yaw, pitch = math.radians(place.yaw), math.radians(place.pitch)
        # Level by construction: a panel that is pitched must not roll.
        right = np.array([math.cos(yaw), 0.0, -math.sin(yaw)])
        out = np.array([math.sin(yaw) * math.cos(pitch), math.sin(pitch), math.cos(yaw) * math.cos(pitch)])
        up = np.cross(out, right)
        centre = np.array(place.at)
    c, s = math.cos(roll), math.sin(roll)
    return centre, (right * c + up * s) * place.width / 2, (up * c - right * s) * place.height / 2


_MIDDLE: Pivot = (0.5, 0.5)


def held_at(place: Place, pivot: Pivot) -> Pivot:
    """Where a placement is held: the picture's own pivot, and the placement's."""
    x, y = getattr(place, "pivot", _MIDDLE)
    return pivot[0] + x - 0.5, pivot[1] + y - 0.5


def _formed(place: ShapePlace, pivot: Pivot) -> Mesh:
    """The mesh of a shape placement in world coordinates, metres."""
    w, h, d = place.width, place.height, place.depth
    made = {
        "crossed": lambda: forms.crossed(place.count, w, h),
        "stack": lambda: forms.stack(place.count, w, h, d, solid=place.slices == "noise"),
        "box": lambda: forms.box(w, h, d),
        "cylinder": lambda: forms.cylinder(w, h),
        "curved": lambda: forms.curved(w, h, place.bend),
        "dome": lambda: forms.dome(w, h, d),
    }[place.form]()
    n = facing(place)
    right = np.array([math.cos(math.radians(place.yaw)), 0.0, -math.sin(math.radians(place.yaw))])
    up = np.cross(n, right)
    c, s = math.cos(math.radians(place.roll)), math.sin(math.radians(place.roll))
    turn = np.stack([right * c + up * s, up * c - right * s, n], axis=1)
    x, y = held_at(place, pivot)
    off = turn @ np.array([(0.5 - x) * w, (y - 0.5) * h, 0.0])
    return made.transformed(np.concatenate([turn, (np.array(place.at) + off)[:, None]], axis=1))


def framed(place: Place, extent: tuple[float, float]) -> Place:
    """A placement with the size of a frame that was trimmed or padded: what is seen in it keeps its size."""
    if extent == (1.0, 1.0):
        return place
    return place.model_copy(update={"width": place.width * extent[0], "height": place.height * extent[1]})


def with_uvs(place: MeshPlace, mesh: Mesh) -> Mesh:
    """The mesh of a placement's file, with the second UV set that was made here."""
    return mesh if place.second.how == "file" else with_second(mesh, place.second.faces, place.second.how)


def _carrier(place: Place, world: World | None) -> Mesh | None:
    """The mesh of a file that carries an overlay, in its place; None where it is not there (yet)."""
    found = world.meshes.get(place.path) if isinstance(place, MeshPlace) and world is not None else None
    if found is None or not isinstance(place, MeshPlace):
        return None
    found = with_uvs(place, found)
    low, high = found.bounds
    # By the middle of the bounds rather than by the mean of the corners: dense parts of a mesh must not pull it
    # aside.
    middle = (low + high) / 2
    n = facing(place)
    right = np.array([math.cos(math.radians(place.yaw)), 0.0, -math.sin(math.radians(place.yaw))])
    up = np.cross(n, right)
    c, s = math.cos(math.radians(place.roll)), math.sin(math.radians(place.roll))
    # By the longest side: files come in any unit, and the placement says how large it is to be.
    size = place.width / max(float((high - low).max()), 1e-9)
    turn = np.stack([right * c + up * s, up * c - right * s, n], axis=1) * size
    return found.transformed(np.concatenate([turn, (np.array(place.at) - turn @ middle)[:, None]], axis=1))


def outline(place: Place, view: View, pivot: Pivot = _MIDDLE, world: World | None = None) -> Doubles:
    """The four corners in the world (4, 3): top left, top right, bottom right, bottom left.

    For a decal on the hull they lie on the hull. ``pivot`` is the point of the
    picture, as a share of width and height, that stands where it is placed.
    """
    if isinstance(place, HullPlace):
        along, around = _hull_grid(place, 1, pivot)
        return hull_point(along, around)[0].reshape(2, 2, 3)[[0, 0, 1, 1], [0, 1, 1, 0]]
    if isinstance(place, SurfacePlace) and world is not None:
        points = _laid(place, pivot, world, 4)[0]
        return np.stack([points[0, 0], points[0, -1], points[-1, -1], points[-1, 0]])
    if isinstance(place, MeshPlace) and (carried := _carrier(place, world)) is not None:
        return _round(carried, view)
    if isinstance(place, ShapePlace):
        return _round(_formed(place, pivot), view)
    c, r, u = frame(place, view)
    pivot = held_at(place, pivot)
    # The frame is given by half extents about its middle; the pivot says how much of it lies to either side.
    left, right, top, low = -2 * pivot[0] * r, 2 * (1 - pivot[0]) * r, 2 * pivot[1] * u, 2 * (pivot[1] - 1) * u
    return np.stack([c + left + top, c + right + top, c + right + low, c + left + low])


def _round(mesh: Mesh, view: View) -> Doubles:
    """Corners of a frame round a mesh as the camera sees it."""
    # In the plane through the mean distance, where a drag in the picture is worth the same at all four corners.
    seen = (mesh.position - view.eye) @ view.axes.T
    low, high, far = seen.min(axis=0), seen.max(axis=0), float(seen[:, 2].mean())
    flat = np.array([[low[0], high[1], far], [high[0], high[1], far], [high[0], low[1], far], [low[0], low[1], far]])
    return flat @ view.axes + view.eye


def _thrown(place: ProjectedPlace, pivot: Pivot, view: View, world: World) -> Mesh:
    """The faces of the surroundings that a projected decal covers, cut at its box, with its UVs."""
    at, right, up = frame(place, view)
    r, u = right / np.linalg.norm(right), up / np.linalg.norm(up)
    at = at + right * (1 - 2 * pivot[0]) + up * (2 * pivot[1] - 1)
    return projected(
        world.surroundings.meshes,
        at,
        np.stack([r, u, facing(place)]),
        (place.width, place.height, place.depth),
        place.angle,
    )


def _laid(place: SurfacePlace, pivot: Pivot, world: World, cells: int) -> tuple[Doubles, Doubles]:
    return lay(
        world.surroundings.meshes, np.array(place.at), facing(place), place.roll, (place.width, place.height), pivot, cells
    )


def given(place: Place) -> str:
    """Name, among the meshes of a world, of a placement's own mesh where that is known already."""
    return f"place:{place.id}"


def mesh(place: Place, view: View, pivot: Pivot = _MIDDLE, world: World | None = None) -> Mesh:
    """Triangles of a placement; billboards turn to the view. What ``world`` lacks is taken as a flat panel.

    A mesh that the world holds under `given` of the placement is taken as it is.
    """
    if world is not None and (ready := world.meshes.get(given(place))) is not None:
        return ready
    if isinstance(place, SurfacePlace) and world is not None:
        # Twelve cells: a decal of half a metre stays within a third of a millimetre of the hull's curve.
        p, n = _laid(place, pivot, world, 12)
        v, u = np.meshgrid(np.linspace(0, 1, 13), np.linspace(0, 1, 13), indexing="ij")
        return sheet(p, n, np.stack([u, v], axis=-1))
    if isinstance(place, MeshPlace) and (carried := _carrier(place, world)) is not None:
        return carried
    if isinstance(place, ShapePlace):
        return _formed(place, pivot)
    if isinstance(place, ProjectedPlace) and world is not None:
        return _thrown(place, pivot, view, world)
    if isinstance(place, HullPlace):
        along, around = _hull_grid(place, 12, pivot)
        p, n = hull_point(along, around)
        v, u = np.meshgrid(np.linspace(0, 1, 13), np.linspace(0, 1, 13), indexing="ij")
        return sheet(p, n, np.stack([u, v], axis=-1))
    flat = quad(outline(place, view, pivot))
    return cut_to(flat, WHOLE, place, pivot) if isinstance(place, PanelPlace) and place.cuts else flat


def cut_to(flat: Mesh, corners: Doubles, place: PanelPlace, pivot: Pivot) -> Mesh:
    """A panel's whole face (see `quad`) cut to a convex polygon and by its cuts; no triangles where nothing is left."""
    left = clipped(corners, place, held_at(place, pivot))
    return outlined(flat, left) if len(left) > 2 else replace(flat, index=flat.index[:0])


def _hull_grid(place: HullPlace, cells: int, pivot: Pivot) -> tuple[Doubles, Doubles]:
    steps = np.linspace(0, 1, cells + 1)
    v, u = np.meshgrid(pivot[1] - steps, steps - pivot[0], indexing="ij")
    roll = math.radians(place.roll)
    x, y = u * place.width, v * place.height
    x, y = x * math.cos(roll) - y * math.sin(roll), x * math.sin(roll) + y * math.cos(roll)
    return place.along + x, place.around + np.degrees(y / HULL_R)


def centre(place: Place, view: View) -> Doubles:
    """Where a placement stands in the world: its pivot."""
    return frame(place, view)[0]


def middle(place: Place, view: View, pivot: Pivot = _MIDDLE, world: World | None = None) -> Doubles:
    """Centre of what is drawn, which the order goes by; the pivot may lie elsewhere."""
    if isinstance(place, HullPlace):
        along, around = _hull_grid(place, 2, pivot)
        return hull_point(along, around)[0][1, 1]
    if isinstance(place, MeshPlace):
        return np.array(place.at)
    if isinstance(place, ShapePlace):
        low, high = _formed(place, pivot).bounds
        return (low + high) / 2
    corners = outline(place, view, pivot, world)
    if isinstance(place, PanelPlace) and place.cuts and len(left := clipped(WHOLE, place, held_at(place, pivot))) > 2:
        across, down = centroid(left)
        return corners[0] + across * (corners[1] - corners[0]) + down * (corners[3] - corners[0])
    return corners.mean(axis=0)


def moved(
    place: Place, view: View, start: tuple[float, float], end: tuple[float, float], world: World | None = None
) -> dict[str, object]:
    """New position of a placement dragged from one place on the picture to another.

    Panels and billboards move in the plane through their centre that faces the
    view; decals slide over the hull, or over whatever surface is under the pointer.
    """
    c = centre(place, view)
    if isinstance(place, SurfacePlace | ProjectedPlace) and world is not None:
        # The pointer keeps its distance from the pivot on screen.
        seen = view.on_screen(c[None])[0]
        to = (float(seen[0]) + end[0] - start[0], float(seen[1]) + end[1] - start[1])
        found = world.surroundings.meet(view.eye, view.ray(*to))
        # Four places: a tenth of a millimetre, finer than a texel of anything that stands on the stage, and short in
        # the file.
        if found is not None:
            _, at, n = found
            # Of what is seen from behind the side towards the viewer counts: there the pointer is.
            n = n if n @ (view.eye - at) > 0 else -n
            yaw, pitch = angles(n)
            return {
                "at": tuple(round(float(v), 4) for v in np.clip(at, -100, 100)),
                "yaw": round(yaw, 3),
                "pitch": round(pitch, 3),
            }
    if isinstance(place, HullPlace):
        # Off the hull's outline no ray meets it: then by the distance that the decal has.
        a, b = on_hull(view, start), on_hull(view, end)
        if a is None or b is None:
            step = view.metres_per_pixel(c)
            da, db = (end[0] - start[0]) * step, -math.degrees((end[1] - start[1]) * step / HULL_R)
        else:
            da, db = b[0] - a[0], b[1] - a[1]
        return {
            "along": round(min(max(place.along + da, HULL_FROM), HULL_TO), 4),
            "around": round(min(max(place.around + db, -120.0), 120.0), 3),
        }
    step = view.metres_per_pixel(c)
    to = c + (view.axes[0] * (end[0] - start[0]) - view.axes[1] * (end[1] - start[1])) * step
    return {"at": tuple(round(float(v), 4) for v in np.clip(to, -20, 20))}


def pushed(
    place: PanelPlace | BillboardPlace | SurfacePlace | ShapePlace | MeshPlace | ProjectedPlace, view: View, pixels: float
) -> dict[str, object]:
    """New position moved along the view, away for positive ``pixels``."""
    c = np.array(place.at)
    to = c + view.axes[2] * pixels * view.metres_per_pixel(c)
    return {"at": tuple(round(float(v), 4) for v in np.clip(to, -20, 20))}


def on_hull(view: View, at: tuple[float, float]) -> tuple[float, float] | None:
    """Where a ray meets the hull's cylinder: along, around in degrees."""
    o, d = view.eye, view.ray(*at)
    oy, oz = o[1] - HULL_AT[0], o[2] - HULL_AT[1]
    a, b, c = d[1] ** 2 + d[2] ** 2, 2 * (oy * d[1] + oz * d[2]), oy * oy + oz * oz - HULL_R**2
    root = b * b - 4 * a * c
    # A ray along the cylinder's axis meets it nowhere or everywhere; either way there is no point to go to.
    if root < 0 or a < 1e-12:
        return None
    t = (-b - math.sqrt(root)) / (2 * a)
    p = o + d * t
    return float(p[0]), math.degrees(math.atan2(p[1] - HULL_AT[0], p[2] - HULL_AT[1]))

"""Whole scenes against a slow renderer of this file's own: a ray through every pixel, in double precision.

It shares nothing with the product but the document: camera, planes, sampling,
light, blends, depth and order are written down here again from `docs/stage.md`.
"""

import math

import numpy as np
import pytest
from sprites import srgb_decode

from mivex.core.material.material import Material
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import GROUPS
from mivex.core.project.document import Document, Overlay
from mivex.core.scene.draw_calls import overlay_draw
from mivex.core.scene.material_binding import texture_limits
from mivex.core.stage import placement_geometry as placing
from mivex.core.stage.buffers import GROUND
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.draw import DrawCall, ShadingInputs
from mivex.core.stage.geometry import HULL_AT, HULL_R
from mivex.core.stage.mesh import quad
from mivex.core.stage.passes import draw_all
from mivex.core.stage.placements_model import BillboardPlace, HullPlace, PanelPlace

W, H = 120, 90


def bayer(n=8):
    """The ordered matrix by its recursion, thresholds in the middle of their steps."""
    m = np.zeros((1, 1))
    while len(m) < n:
        m = np.block([[4 * m, 4 * m + 2], [4 * m + 3, 4 * m + 1]])
    return (m + 0.5) / 64


def chain(values):
    """Levels of a colour texture, linear; exact areas for odd sides."""
    levels = [np.dstack([srgb_decode(values[..., :3]), values[..., 3].astype(float)])]

    def weights(n):
        m = max(1, n // 2)
        k = np.zeros((m, n))
        for i in range(m):
            for j in range(n):
                k[i, j] = max(0.0, min((i + 1) * n / m, j + 1) - max(i * n / m, j)) * m / n
        return k

    while max(levels[-1].shape[:2]) > 1:
        v = levels[-1]
        levels.append(np.einsum("ij,jkc,lk->ilc", weights(v.shape[0]), v, weights(v.shape[1])))
    return levels


def tap(level, u, v, wrap):
    """Bilinear."""
    h, w = level.shape[:2]
    x, y = u * w - 0.5, v * h - 0.5
    x0, y0 = np.floor(x).astype(int), np.floor(y).astype(int)
    fx, fy = (x - x0)[..., None], (y - y0)[..., None]

    def at(j, i):
        return level[j % h, i % w] if wrap else level[np.clip(j, 0, h - 1), np.clip(i, 0, w - 1)]

    return (at(y0, x0) * (1 - fx) + at(y0, x0 + 1) * fx) * (1 - fy) + (
        at(y0 + 1, x0) * (1 - fx) + at(y0 + 1, x0 + 1) * fx
    ) * fy


def trilinear(levels, u, v, lod, wrap):
    """Between the two levels round ``lod``."""
    lod = np.clip(lod, 0, len(levels) - 1)
    low = np.floor(lod).astype(int)
    out = np.zeros((*u.shape, 4))
    for i in range(len(levels)):
        near = tap(levels[i], u, v, wrap)
        for k, share in ((low == i, 1 - (lod - low)), (low + 1 == i, lod - low)):
            out += np.where(k, share, 0)[..., None] * near
    return out


class Eye:
    """The camera, from its angles."""

    def __init__(self, c):
        yaw, pitch = math.radians(c.yaw), math.radians(c.pitch)
        self.forward = np.array([-math.sin(yaw) * math.cos(pitch), -math.sin(pitch), -math.cos(yaw) * math.cos(pitch)])
        self.right = np.array([math.cos(yaw), 0, -math.sin(yaw)])
        self.up = np.cross(self.right, self.forward)
        self.at = np.array(c.target) - self.forward * c.distance
        self.focal = min(H, W / 1.25) / 2 / math.tan(math.radians(c.fov) / 2)

    def rays(self, dx=0.0, dy=0.0):
        """Directions through the pixels' centres with unit distance along the view."""
        y, x = np.mgrid[:H, :W] + 0.5
        return (
            self.forward
            + ((x + dx - W / 2) / self.focal)[..., None] * self.right
            - ((y + dy - H / 2) / self.focal)[..., None] * self.up
        )


def corners(place, eye, pivot):
    """Corner of u = v = 0, and the edges along u and v."""
    if isinstance(place, BillboardPlace):
        right, up = eye.right, eye.up
    else:
        yaw, pitch = math.radians(place.yaw), math.radians(place.pitch)
        right = np.array([math.cos(yaw), 0, -math.sin(yaw)])
        up = np.cross([math.sin(yaw) * math.cos(pitch), math.sin(pitch), math.cos(yaw) * math.cos(pitch)], right)
    c, s = math.cos(math.radians(place.roll)), math.sin(math.radians(place.roll))
    right, up = right * c + up * s, up * c - right * s
    along, down = right * place.width, -up * place.height
    return np.array(place.at) - along * pivot[0] - down * pivot[1], along, down


def meet(eye, rays, corner, along, down):
    """Depth along the view, u and v where rays meet a plane."""
    n = np.cross(along, down)
    t = (corner - eye.at) @ n / (rays @ n)
    p = eye.at + rays * t[..., None] - corner
    return t, p @ along / (along @ along), p @ down / (down @ down)


def composite(name, C, A, below, cutoff, threshold, opacity):
    """One blend by its equation; C straight, A already times opacity."""
    Cd, Ad = below[..., :3], below[..., 3:]
    A = A[..., None]
    keep = np.ones(A.shape, bool)
    if name in ("Solid", "Cutout", "Dithered"):
        keep = {"Solid": keep, "Cutout": cutoff <= A, "Dithered": threshold[..., None] < A}[name]
        rgb, a = C, np.ones_like(A)
    elif name == "Translucent":
        rgb, a = C * A + Cd * (1 - A), A + Ad * (1 - A)
    elif name == "Premultiplied":
        rgb, a = C * opacity + Cd * (1 - A), A + Ad * (1 - A)
    elif name == "Additive":
        rgb, a = C * A + Cd, Ad
    else:
        rgb, a = Cd * (1 - A + C * A), Ad
    return np.where(keep, np.concatenate([rgb, a], axis=-1), below), keep[..., 0]


def render(doc, textures, camera):
    """The whole picture, linear."""
    eye = Eye(camera)
    colour = np.full((H, W, 4), GROUND)
    colour[..., 3] = 0
    depth = np.full((H, W), np.inf)
    rows = []
    for o in doc.overlays:
        for p in o.places:
            corner, along, down = corners(p, eye, textures[o.id].pivot)
            middle = corner + (along + down) / 2
            rows.append(
                (
                    (GROUPS.index(o.material.group), o.material.nudge, -np.linalg.norm(middle - eye.at)),
                    o,
                    corner,
                    along,
                    down,
                )
            )
    rows.sort(key=lambda r: r[0])
    y, x = np.mgrid[:H, :W]
    threshold = bayer()[y % 8, x % 8]
    for _, o, corner, along, down in rows:
        m, t = o.material, textures[o.id]
        levels = chain(t.values)
        z, u, v = meet(eye, eye.rays(), corner, along, down)
        e = 1e-4
        rho = np.zeros((H, W))
        for dx, dy in ((e, 0.0), (0.0, e)):
            _, u1, v1 = meet(eye, eye.rays(dx, dy), corner, along, down)
            rho = np.maximum(rho, np.hypot((u1 - u) / e * t.width, (v1 - v) / e * t.height))
        front = np.cross(along, -down) @ (eye.at - corner) > 0
        hit = (u >= 0) & (u < 1) & (v >= 0) & (v < 1) & (z > 0.02) & (m.both_faces or front)
        if m.depth_test:
            hit &= z - m.depth_bias / 1000 <= depth
        s = trilinear(levels, u, v, np.log2(np.maximum(rho, 1e-9)), m.tiling)
        C = s[..., :3] * srgb_decode(m.tint)
        out, kept = composite(m.blend, C, s[..., 3] * m.opacity, colour, m.cutoff, threshold, m.opacity)
        colour = np.where(hit[..., None], out, colour)
        if m.depth_write:
            depth = np.where(hit & kept, z - m.depth_bias / 1000, depth)
    return colour


CAMERA = Camera(name="c", target=(0, 1, 0), yaw=20, pitch=12, distance=4, fov=50)


def scene(seed, blends):
    """Panels and billboards that cross and cover one another, with every setting drawn by lot."""
    rng = np.random.default_rng(seed)
    rows, textures = [], {}
    for i, blend in enumerate(blends):
        h, w = rng.choice([8, 16, 13, 27], 2)
        y, x = (np.mgrid[:h, :w] + 0.5) / np.array([[[h]], [[w]]])
        alpha = np.clip(1.3 - 2.4 * np.hypot(y - 0.5, x - 0.5) + 0.2 * rng.standard_normal((h, w)), 0, 1)
        values = np.rint(np.dstack([rng.random((h, w, 3)), alpha]) * 255).astype(np.float32) / 255
        key = f"o{i}"
        pivot = tuple(rng.choice([0.5, 0.1, 1.2], 2))
        textures[key] = Texture(values, pivot=pivot, key=key)
        at = tuple(float(v) for v in rng.uniform((-0.8, 0.4, -1), (0.8, 1.6, 1)))
        width, height, roll = (float(rng.uniform(*k)) for k in ((0.8, 3), (0.8, 3), (-180, 180)))
        size = {"width": width, "height": height, "roll": roll}
        place = (
            BillboardPlace(at=at, **size)
            if rng.random() < 0.4
            else PanelPlace(at=at, yaw=float(rng.uniform(-70, 70)), pitch=float(rng.uniform(-50, 50)), **size)
        )
        solid = blend in ("Solid", "Cutout", "Dithered")
        rows.append(
            Overlay(
                id=key,
                name=key,
                places=(place,),
                material=Material(
                    blend=blend,
                    cutoff=float(rng.uniform(0.2, 0.8)),
                    opacity=float(rng.choice([1.0, 0.7])),
                    tint=tuple(float(v) for v in rng.uniform(0.4, 1, 3)),
                    lit=False,
                    depth_test=bool(rng.random() < 0.85),
                    depth_write=solid or bool(rng.random() < 0.3),
                    depth_bias=float(rng.choice([0, 30, 400])),
                    both_faces=bool(rng.random() < 0.7),
                    group=str(rng.choice(["Solid", "Cutout", "Blended", "Front"])),
                    nudge=int(rng.integers(-1, 2)),
                    tiling=bool(rng.random() < 0.4),
                ),
            )
        )
    return Document(overlays=tuple(rows)), textures


ALL = ("Solid", "Cutout", "Dithered", "Translucent", "Premultiplied", "Additive", "Multiply")


@pytest.mark.parametrize("seed", range(8))
def test_scenes_of_all_blends_agree_with_the_slow_renderer(seed):
    order = np.random.default_rng(seed).permutation(ALL)
    doc, textures = scene(seed, [str(b) for b in order])
    view = View(CAMERA, W, H)
    items = sorted(
        (overlay_draw(o, p, textures[o.id], view) for o in doc.overlays for p in o.places), key=lambda i: i.order
    )
    drawn = draw_all(items, view).colour
    # A lit panel behind the eye: everything up to the decals is now kept as a surface until it is lit.
    o = Overlay(name="l", material=Material(group="Solid", blend="Solid"), places=(PanelPlace(at=(0, 1, 30)),))
    behind = overlay_draw(o, o.places[0], textures["o0"], view)
    assert np.abs(draw_all([behind, *items], view).colour - drawn).max() < 1e-5
    meant = render(doc, textures, CAMERA)
    apart = np.abs(drawn - meant).max(axis=2)
    # Where an outline, a cutoff or a depth is met to the last digit, one side of it is as good as the other.
    assert np.quantile(apart, 0.985) < 2e-3 and apart.mean() < 4e-3
    assert drawn[..., 3].max() > 0.9 and np.ptp(drawn[..., :3]) > 0.3


def test_bias_is_exact_and_what_it_does_is_seen():
    """A panel 200 mm behind another wins from a bias of 200 mm on, and not before."""
    white = Texture(np.ones((4, 4, 4), np.float32))
    camera = Camera(name="c", target=(0, 0, 0), yaw=0, pitch=0, distance=1.0)
    view = View(camera, 40, 32)

    def seen(bias):
        rows = []
        for z, tint, b in ((0.0, (1, 0, 0), 0.0), (-0.2, (0, 1, 0), bias)):
            o = Overlay(
                name="p",
                material=Material(blend="Solid", group="Solid", depth_write=True, lit=False, tint=tint, depth_bias=b),
                places=(PanelPlace(at=(0, 0, z)),),
            )
            rows.append(overlay_draw(o, o.places[0], white, view))
        return draw_all(rows, view).colour[16, 20, 1] > 0.5

    assert not seen(0) and not seen(199.5) and seen(200.5)


@pytest.mark.parametrize(("w", "h"), [(8, 16), (12, 7)])
@pytest.mark.parametrize("tiling", [True, False])
def test_repeating_and_holding_the_border_beyond_the_picture(rng, w, h, tiling):
    """Both ways of addressing, with sides that are powers of two and that are not, close up and far off."""
    values = np.rint(rng.random((h, w, 4)) * 255).astype(np.float32) / 255
    t = Texture(values)
    u0, v0, u1, v1 = -1.3, -0.7, 2.6, 1.9
    m = Material(blend="Solid", group="Solid", depth_write=True, lit=False, tiling=tiling)
    for distance, yaw in ((0.6, 0), (3.0, 35), (14.0, 0)):
        camera = Camera(name="c", target=(0, 0, 0), yaw=yaw, pitch=0, distance=distance)
        view, eye = View(camera, W, H), Eye(camera)
        points = np.array([[-1.0, 1, 0], [1, 1, 0], [1, -1, 0], [-1, -1, 0]])
        item = DrawCall("t", quad(points, (u0, v0, u1, v1)), ShadingInputs(t.mips), m, (0, 0, 0.0))
        drawn = draw_all([item], view).colour
        plane = (points[0], points[1] - points[0], points[3] - points[0])
        _, u, v = meet(eye, eye.rays(), *plane)
        inside = (u > 0.001) & (u < 0.999) & (v > 0.001) & (v < 0.999)
        rho = np.zeros((H, W))
        for dx, dy in ((1e-4, 0.0), (0.0, 1e-4)):
            _, a, b = meet(eye, eye.rays(dx, dy), *plane)
            rho = np.maximum(rho, np.hypot((a - u) / 1e-4 * w * (u1 - u0), (b - v) / 1e-4 * h * (v1 - v0)))
        meant = trilinear(chain(values), u0 + u * (u1 - u0), v0 + v * (v1 - v0), np.log2(rho), tiling)
        # A borderline level may be taken from either side: the fit of the logarithm is good to 0.0005.
        assert np.abs(drawn - meant)[inside][:, :3].max() < 3e-3


def test_light_under_clear_texels_counts_where_the_blend_adds_it():
    """A halo with alpha 0 is seen under Premultiplied, and under no other blend."""
    values = np.zeros((64, 64, 4), np.float32)
    values[8:56, 8:56, :3] = 0.8
    values[28:36, 28:36, 3] = 1
    t = Texture(values)
    view = View(Camera(name="c", target=(0, 0, 0), yaw=0, pitch=0, distance=2.0), W, H)
    lit = {}
    for blend in ("Premultiplied", "Translucent", "Additive"):
        o = Overlay(name="p", material=Material(blend=blend, lit=False), places=(PanelPlace(at=(0, 0, 0)),))
        drawn = draw_all([overlay_draw(o, o.places[0], t, view)], view).colour
        lit[blend] = float((np.abs(drawn[..., :3] - GROUND).max(axis=2) > 0.05).sum())
    one = (1.0 * Eye(view.camera).focal / 2.0) ** 2
    assert lit["Premultiplied"] == pytest.approx(one * (49 / 64) ** 2, rel=0.04)
    for blend in ("Translucent", "Additive"):  # half a texel of filtering on either side
        assert one * (8 / 64) ** 2 <= lit[blend] <= one * (9.9 / 64) ** 2
    assert texture_limits(t, "Premultiplied")[1] > texture_limits(t, "Additive")[1]


def test_order_goes_by_the_centre_of_what_is_drawn_not_by_its_pivot():
    """A flame that stands on its nozzle: the pivot lies behind the pane, the flame's middle before it."""
    view = View(Camera(name="c", target=(0, 0, 0), yaw=0, pitch=60, distance=4.0), W, H)
    t = Texture(np.ones((4, 4, 4), np.float32), pivot=(0.5, 1.0))
    place = PanelPlace(at=(0, -1, 0), pitch=0, height=2.0)
    middle = placing.middle(place, view, t.pivot)
    assert middle == pytest.approx([0, 0, 0], abs=1e-12) and placing.centre(place, view)[1] == -1
    item = overlay_draw(Overlay(name="f", places=(place,)), place, t, view)
    assert item.order[2] == pytest.approx(-4.0)
    # On the hull the middle lies on the hull, too.
    decal = HullPlace(along=0.5, around=10, width=2, height=2)
    p = placing.middle(decal, view, (0.0, 0.0))
    assert p[0] == pytest.approx(1.5)
    assert math.hypot(p[1] - HULL_AT[0], p[2] - HULL_AT[1]) == pytest.approx(HULL_R)
    assert math.degrees(math.atan2(p[1] - HULL_AT[0], p[2] - HULL_AT[1])) == pytest.approx(10 - math.degrees(1 / HULL_R))

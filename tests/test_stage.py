"""Blends against Porter and Duff by hand, and the raster against a slow twin."""

import math

import numpy as np
import pytest

from mivex.core.material.material import Material, default_material, with_blend
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import BAYER, BLENDS, blend_one
from mivex.core.pixels.mips import build_chain
from mivex.core.pixels.sampling import sample
from mivex.core.project.document import Document, Overlay
from mivex.core.proof.flat import FlatView
from mivex.core.proof.layouts import draw_flat
from mivex.core.scene.draw_calls import draw_list, overlay_draw, render
from mivex.core.scene.picking import pick
from mivex.core.stage import placement_geometry as placing
from mivex.core.stage.buffers import Buffers
from mivex.core.stage.camera import Camera, View, orbit, pan
from mivex.core.stage.draw import DrawCall, ShadingInputs
from mivex.core.stage.mesh import Mesh, crossing
from mivex.core.stage.passes import draw_all
from mivex.core.stage.placements_model import BillboardPlace, HullPlace, PanelPlace

SOURCE, BELOW = (0.8, 0.4, 0.2, 0.25), (0.1, 0.6, 0.3, 0.5)
BY_HAND = {
    "Solid": (0.8, 0.4, 0.2, 1.0),
    "Cutout": BELOW,
    "Dithered": BELOW,
    # 0.8·0.25 + 0.1·0.75 and so on; alpha 0.25 + 0.5·0.75.
    "Translucent": (0.275, 0.55, 0.275, 0.625),
    "Premultiplied": (0.875, 0.85, 0.425, 0.625),
    "Additive": (0.3, 0.7, 0.35, 0.5),
    # 0.1·(0.75 + 0.8·0.25) and so on.
    "Multiply": (0.095, 0.51, 0.24, 0.5),
}
CAMERA = Camera(name="t", target=(0, 0, 0), yaw=0, pitch=0, distance=4, fov=60)
VIEW = View(CAMERA, 64, 48)


def square(texture, material, at=(0.0, 0.0, 0.0), size=2.0, **place):
    o = Overlay(id="o", name="o", material=material, places=(PanelPlace(at=at, width=size, height=size, **place),))
    return overlay_draw(o, o.places[0], texture, VIEW)


def flat_texture(rgba_linear, n=8):
    return Texture(np.full((n, n, 4), rgba_linear, np.float32), meaning="data")


def buffers(below=BELOW, view=VIEW):
    colour = np.zeros((view.height, view.width, 4), np.float32)
    colour[...] = below
    return Buffers(colour, np.zeros((view.height, view.width), np.float32))


@pytest.mark.parametrize("name", BLENDS)
def test_each_blend_gives_what_is_worked_out_by_hand(name):
    threshold = float(BAYER[4, 4])
    want = BY_HAND[name]
    if name == "Dithered":
        want = (*SOURCE[:3], 1.0) if SOURCE[3] > threshold else BELOW
    assert blend_one(name, SOURCE, BELOW, 0.5, threshold) == pytest.approx(want, abs=1e-6)
    got = draw_all([square(flat_texture(SOURCE), Material(blend=name, lit=False))], VIEW, buffers=buffers()).colour[20, 28]
    assert got.tolist() == pytest.approx(want, abs=1e-6)
    # The flat proof composites the same way.
    view = FlatView(backdrop="own", own=BELOW[:3], blend=name, zoom=8)
    shown = draw_flat(flat_texture(SOURCE), view, 64, 48)[20, 28] / 255
    assert shown.tolist() == pytest.approx(np.clip(want[:3], 0, 1), abs=0.6 / 255)


def test_cutoff_dither_tint_and_opacity():
    cut = Material(blend="Cutout", cutoff=0.25, lit=False)
    above = draw_all([square(flat_texture(SOURCE), cut)], VIEW, buffers=buffers())
    assert above.colour[20, 28].tolist() == pytest.approx([0.8, 0.4, 0.2, 1])
    dots = draw_all([square(flat_texture(SOURCE), Material(blend="Dithered", lit=False))], VIEW, buffers=buffers())
    inner = np.isclose(dots.colour[16:32, 24:40, 0], 0.8, atol=1e-6)
    assert inner.mean() == 0.25  # a quarter of alpha fills a quarter of every 8×8
    half = Material(blend="Additive", lit=False, opacity=0.5, tint=(1.0, 0.5, 0.0))
    got = draw_all([square(flat_texture(SOURCE), half)], VIEW, buffers=buffers()).colour[20, 28]
    g = ((0.5 + 0.055) / 1.055) ** 2.4
    assert got[:3].tolist() == pytest.approx([0.1 + 0.8 * 0.125, 0.6 + 0.4 * g * 0.125, 0.3], abs=1e-6)


def slow_draw(item, view):
    """Rays through pixel centres, exact intersections, derivatives by the next ray: one panel, no blending."""
    got = np.full((view.height, view.width, 4), np.nan)
    depth = np.zeros((view.height, view.width))

    def uv(x, y):
        if (met := crossing(item.mesh, view.eye, view.ray(x, y))) is None:
            return None
        return met[0], *(met[2] @ item.mesh.uv0[item.mesh.index[met[1]]])

    h0, w0 = int(item.coat.colour.heights[0]), int(item.coat.colour.widths[0])
    for y in range(view.height):
        for x in range(view.width):
            if (here := uv(x + 0.5, y + 0.5)) is None:
                continue
            e = 1e-3
            near = [
                uv(x + 0.5 + e * s, y + 0.5 + e * t) or uv(x + 0.5 - e * s, y + 0.5 - e * t) for s, t in ((1, 0), (0, 1))
            ]
            rho = max(math.hypot((n[1] - here[1]) * w0, (n[2] - here[2]) * h0) / e for n in near if n)
            lod = math.log2(rho) if rho > 1 else 0.0
            got[y, x] = sample(item.coat.colour, np.float32(here[1]), np.float32(here[2]), np.float32(lod))
            depth[y, x] = 1 / (here[0] * (view.ray(x + 0.5, y + 0.5) @ view.axes[2]))
    return got, depth


def test_raster_agrees_with_a_ray_through_every_pixel(rng):
    t = Texture(rng.random((64, 64, 4)).astype(np.float32), meaning="data")
    item = square(t, Material(blend="Premultiplied", lit=False, depth_write=True), yaw=50, pitch=20, roll=15, size=2.6)
    out = draw_all([item], VIEW, buffers=buffers((0, 0, 0, 0)))
    want, depth = slow_draw(item, VIEW)
    there = ~np.isnan(want[..., 0])
    assert there.sum() > 300
    assert ((out.depth > 0) != there).mean() < 0.002
    both = there & (out.depth > 0)
    assert np.abs(out.depth - depth)[both].max() < 2e-6
    error = np.abs(out.colour - want)[both]
    assert np.percentile(error, 99) < 2e-3 and error.max() < 0.02


def test_triangles_share_no_pixel_and_leave_no_gap(rng):
    """A fan of slivers, each pixel brightened once."""
    t = flat_texture((1.0, 1.0, 1.0, 1.0))
    angle = np.sort(rng.uniform(0, 2 * np.pi, 40))
    rim = np.stack([np.cos(angle) * 9, np.sin(angle) * 9, np.zeros(40)], 1)
    at = np.array([p for i in range(40) for p in (np.zeros(3), rim[i], rim[(i + 1) % 40])])
    mesh = Mesh(at, np.tile([0.0, 0, 1], (120, 1)), np.full((120, 2), 0.5), np.arange(120).reshape(40, 3))
    material = Material(blend="Additive", lit=False, depth_test=False)
    item = DrawCall("fan", mesh, ShadingInputs(t.mips), material, (0, 0, 0.0))
    got = draw_all([item], VIEW, buffers=buffers((0, 0, 0, 0))).colour[..., 0]
    assert np.abs(got - 1).max() < 1e-6


def test_depth_bands_and_clear_margins(rng):
    near = square(flat_texture((1, 0, 0, 1)), Material(blend="Solid", depth_write=True, lit=False), (0, 0, 1))
    far = square(flat_texture((0, 1, 0, 1)), Material(blend="Solid", depth_write=True, lit=False), (0, 0, -1))
    assert draw_all([near, far], VIEW, buffers=buffers()).colour[24, 32, 0] == 1
    # A clear panel that writes depth hides what is drawn behind it later; one that does not, hides nothing.
    for writes, want in ((True, 0.6), (False, 1.0)):
        clear = square(flat_texture((1, 0, 0, 0)), Material(depth_write=writes, lit=False), (0, 0, 1))
        assert draw_all([clear, far], VIEW, buffers=buffers()).colour[24, 32, 1] == pytest.approx(want)
    # Passing over clear margins changes nothing, nor does the number of bands.
    alpha = np.zeros((64, 64), np.float32)
    alpha[26:33, 20:44] = rng.random((7, 24))
    t = Texture(np.dstack([rng.random((64, 64, 3)).astype(np.float32), alpha]), meaning="data")
    for size, yaw in ((2.0, 20), (9.0, 0), (0.4, 0), (6.0, 60)):
        item = square(t, Material(lit=False), size=size, yaw=yaw, roll=30)
        full = DrawCall(item.name, item.mesh, ShadingInputs(item.coat.colour), item.material, item.order)
        a, b = (draw_all([i], VIEW, buffers=buffers()).colour for i in (item, full))
        assert np.array_equal(a, b) and np.abs(a - BELOW).max() > 0.01
    tall = View(CAMERA, 64, 480)
    assert np.isfinite(draw_all([item], tall, buffers=buffers(view=tall)).colour).all()


def test_what_crosses_the_eye_is_clipped():
    item = square(flat_texture((1, 1, 1, 1)), Material(blend="Solid", lit=False), (0, -0.5, 3.5), 4.0, pitch=90)
    out = draw_all([item], VIEW, buffers=buffers((0, 0, 0, 0))).colour[..., 0]
    assert out[40:, 20:44].min() > 0.999 and out[:20].max() == 0


def test_a_decal_needs_its_bias_and_faces_are_culled():
    def hull(**material):
        o = Overlay(
            id="o",
            name="o",
            material=Material(group="Decal", lit=False, **material),
            places=(HullPlace(along=0.0, around=10.0, width=0.8, height=0.8),),
        )
        doc = Document(overlays=(o,))
        view = View(Camera(name="h", target=(0, 2.6, -1), distance=3, pitch=4), 200, 160)
        red = render(doc, {"o": flat_texture((1, 0, 0, 1))}, view).colour[..., :]
        return ((red[..., 0] == 1) & (red[..., 1] == 0)).sum()

    whole, fighting = hull(depth_bias=8.0), hull(depth_bias=0.0)
    assert whole > 1500 and fighting < whole - 50
    front = square(flat_texture((1, 1, 1, 1)), Material(both_faces=False, lit=False))
    back = square(flat_texture((1, 1, 1, 1)), Material(both_faces=False, lit=False), yaw=180)
    seen = [draw_all([i], VIEW, buffers=buffers((0, 0, 0, 0))).colour[24, 32, 0] for i in (front, back)]
    assert seen == [1, 0]


def test_order_is_group_then_nudge_then_far_to_near():
    def one(name, z, **material):
        return Overlay(id=name, name=name, material=Material(**material), places=(BillboardPlace(at=(0, 1, z)),))

    rows = (
        one("near", 2.0),
        one("far", 0.0),
        one("early", 3.0, nudge=-1),
        one("decal", 2.5, group="Decal"),
        one("front", -1.0, group="Front"),
        one("hidden", 1.0).model_copy(update={"shown": False}),
    )
    view = View(Camera(name="v", target=(0, 1, 0), distance=6), 32, 32)
    items = draw_list(Document(overlays=rows), {o.id: flat_texture((1, 1, 1, 1)) for o in rows}, view)
    assert [i.name for i in items if len(i.name) < 7 and i.name in {o.id for o in rows}] == [
        "decal",
        "early",
        "far",
        "near",
        "front",
    ]


def test_camera_picking_and_dragging_agree_with_the_picture():
    o = Overlay(
        id="o",
        name="o",
        material=Material(lit=False),
        places=(BillboardPlace(id="b", at=(0.4, 1.5, 1.5), width=0.5, height=0.5),),
    )
    doc, t = Document(overlays=(o,)), {"o": flat_texture((1, 0, 1, 1))}
    view = View(Camera(name="v", target=(0, 1.2, 0), yaw=20, pitch=10, distance=6), 320, 240)
    picture = render(doc, t, view).colour
    ys, xs = np.nonzero((picture[..., 0] == 1) & (picture[..., 1] == 0))
    x, y = xs.mean() + 0.5, ys.mean() + 0.5
    draws = draw_list(doc, t, view)
    assert pick(doc, draws, view, x, y) == ("o", "b")
    assert pick(doc, draws, view, xs.min() - 3, y) is None
    assert view.on_screen(np.array([o.places[0].at]))[0, :2].tolist() == pytest.approx([x, y], abs=0.6)
    moved = placing.moved(o.places[0], view, (x, y), (x + 40, y - 25))
    assert view.on_screen(np.array([moved["at"]]))[0, :2].tolist() == pytest.approx([x + 40, y - 25], abs=0.7)
    h = HullPlace(along=0.0, around=5.0)
    c = view.on_screen(placing.centre(h, view)[None])[0]
    slid = h.model_copy(update=placing.moved(h, view, (c[0], c[1]), (c[0] + 20, c[1] + 10)))
    assert view.on_screen(placing.centre(slid, view)[None])[0, :2].tolist() == pytest.approx(
        [c[0] + 20, c[1] + 10], abs=0.5
    )
    turned = View(orbit(view.camera, 30, 10), 320, 240)
    assert np.linalg.norm(turned.eye - [0, 1.2, 0]) == pytest.approx(6)
    panned = View(pan(view.camera, view, 30, -12), 320, 240)
    assert panned.on_screen(np.array([view.camera.target]))[0, :2].tolist() == pytest.approx([190, 108], abs=0.5)


def test_defaults_by_kind_and_what_follows_a_blend():
    assert default_material("decal").group == "Decal" and default_material("decal").depth_bias > 0
    assert not default_material("sprite").lit and not default_material("glass").depth_write
    cut = with_blend(default_material("glass"), "Cutout")
    assert (cut.depth_write, cut.group) == (True, "Cutout")
    assert with_blend(cut, "Translucent") == default_material("glass")
    by_hand = with_blend(Material(depth_write=True, group="Front"), "Additive")
    assert (by_hand.depth_write, by_hand.group) == (True, "Front")
    # Through Solid, for which depth write is usual, and back: what was set by hand is there again.
    for way in (("Solid", "Translucent"), ("Cutout", "Solid", "Additive", "Translucent")):
        for made in (Material(depth_write=True), Material(depth_write=True, group="Solid"), Material(group="Front")):
            gone = made
            for blend in way:
                gone = Material.model_validate(with_blend(gone, blend).model_dump())
            assert gone == made
    assert "by_hand" not in Material(depth_write=True).model_dump()
    assert build_chain(np.zeros((1, 1, 4), np.float32)).levels == 1

"""Effects of materials against their formulas, worked out here for single pixels."""

from dataclasses import replace

import cv2
import numpy as np
import pytest
from test_order import VIEW, held, panel, tone

from mivex.core.material.effects import Breakup, Contact, Dither, Erosion, Glass, Halo, Recolour, Tones, UvScroll
from mivex.core.material.material import Material
from mivex.core.picture.texture import Texture
from mivex.core.stage.buffers import GROUND
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.draw import DrawCall, Input, ShadingInputs, shadow_mask
from mivex.core.stage.exact import draw_exact
from mivex.core.stage.ledger import account_of
from mivex.core.stage.lights import Lighting
from mivex.core.stage.mesh import FACTS, quad
from mivex.core.stage.painter import Painter
from mivex.core.stage.passes import draw_all
from mivex.core.stage.primitives import stack

FLAT = np.array([(-6, 5, 0), (6, 5, 0), (6, -5, 0), (-6, -5, 0)], float)
UP = np.array([0, 0, 1.0])
RGBA = (0.6, 0.3, 0.1, 0.6)


def pixel(draws, at=(9, 12), lighting=None):
    """A pixel, drawn as set, in exact order, and by the ledger: all the same."""
    a = draw_all(draws, VIEW, lighting).colour[at]
    found = account_of(draws, VIEW, at[1], at[0], lighting)
    assert np.array_equal(np.array(found.end(), np.float32), a)
    assert np.array_equal(draw_exact(draws, VIEW, lighting).colour[at], np.array(found.end("exact"), np.float32))
    return a.astype(float)


def over(rgba, alpha, below=GROUND):
    return np.asarray(rgba)[:3] * alpha + below * (1 - alpha)


def smoothstep(low, high, v):
    t = np.clip((v - low) / (high - low), 0, 1)
    return t * t * (3 - 2 * t)


@pytest.mark.parametrize("form", ["fade", "erode", "soft"])
def test_erosion_has_three_forms_and_is_driven_by_slider_or_tint(form):
    c, a = held(RGBA), held(RGBA)[3]
    for e in (0.0, 0.25, 0.7, 1.0):
        want = {"fade": a * (1 - e), "erode": max(a - e, 0), "soft": smoothstep(e, e + 0.3, a) if e < 1 else 0}[form]
        slider = panel(0, RGBA, FLAT, erosion=Erosion(form=form, amount=e, soft=0.3), opacity=0.5)
        assert np.allclose(pixel([slider])[:3], over(c, want * 0.5), atol=1e-5)
        tint = panel(0, RGBA, FLAT, erosion=Erosion(form=form, soft=0.3, by="tint"), opacity=1 - e)
        assert np.allclose(pixel([tint])[:3], over(c, want), atol=1e-5)
        whole = panel(0, RGBA, FLAT, erosion=Erosion(form=form, amount=e, soft=0.3), blend="Premultiplied")
        # Premultiplied colour goes with its alpha.
        assert np.allclose(pixel([whole])[:3], c[:3] * want / a + GROUND * (1 - want), atol=1e-5)


def test_two_tones_recolouring_and_halo():
    c = held(RGBA)
    tones = Tones(on=True, lane="red", at=0.7, soft=0.4, above=(1.0, 0.0, 0.0), below=(0.0, 0.0, 1.0))
    red = tone(RGBA).values[0, 0, 0]  # a display value, as the threshold is
    t = smoothstep(0.5, 0.9, float(red))
    assert np.allclose(pixel([panel(0, RGBA, FLAT, tones=tones)])[:3], over((t, 0, 1 - t), c[3]), atol=1e-5)
    hard = tones.model_copy(update={"soft": 0.0, "lane": "alpha", "at": 0.61})
    assert np.allclose(pixel([panel(0, RGBA, FLAT, tones=hard)])[:3], over((0, 0, 1), c[3]), atol=1e-5)
    mixed = Recolour(on=True, red=(0.0, 1.0, 0.0), green=(0.0, 0.0, 1.0), blue=(1.0, 1.0, 0.0))
    want = (c[2], c[0] + c[2], c[1])
    assert np.allclose(pixel([panel(0, RGBA, FLAT, recolour=mixed)])[:3], over(want, c[3]), atol=1e-5)
    glow = Halo(strength=2.0, lane="green", colour=(1.0, 0.0, 0.0))
    assert np.allclose(pixel([panel(0, RGBA, FLAT, halo=glow)])[:3], over((c[0] + 2 * c[1], c[1], c[2]), c[3]), atol=1e-5)


def test_contact_fades_over_its_distance_before_what_is_solid():
    c = held(RGBA)
    wall = panel(0, (0.2, 0.2, 0.2, 1), FLAT - 0.3 * UP, blend="Solid", depth_write=True, group="Solid")
    wall = DrawCall(wall.name, wall.mesh, wall.coat, wall.material, (1, 0, 0.0))
    for blend in ("Translucent", "Premultiplied"):
        for distance, share in ((0.6, 0.5), (0.3, 1.0), (3.0, 0.1)):
            # It counts along the view, also where something see-through has written depth in between.
            film = panel(1, (0, 0, 0, 0), FLAT - 0.1 * UP, depth_write=True)
            smoke = panel(2, RGBA, FLAT, contact=Contact(distance=distance), blend=blend, depth_write=True)
            w = held((0.2, 0.2, 0.2, 1))
            want = over(c, c[3] * share, w[:3]) if blend == "Translucent" else c[:3] * share + w[:3] * (1 - c[3] * share)
            assert np.allclose(pixel([wall, film, smoke])[:3], want, atol=1e-5)
    alone = panel(1, RGBA, FLAT, contact=Contact(distance=1.0))
    assert np.allclose(pixel([alone])[:3], over(c, c[3]), atol=1e-5)


@pytest.mark.parametrize("blend", ["Solid", "Cutout", "Dithered"])
def test_contact_meets_a_solid_in_whatever_group_it_stands(blend):
    """The same as with the wall in group Solid: set, exact and ledger, and before as well as after the smoke."""
    w, c = held((0.2, 0.2, 0.2, 1)), held(RGBA)
    want = over(c, c[3] * 0.5, w[:3])
    smoke = panel(2, RGBA, FLAT, contact=Contact(distance=0.6))
    rows = [panel(0, (0.2, 0.2, 0.2, 1), FLAT - 0.3 * UP, blend=blend, depth_write=True), smoke]
    assert np.allclose(pixel(rows)[:3], want, atol=1e-5)
    for rows_ in (rows, rows[::-1]):
        assert np.allclose(draw_exact(rows_, VIEW).colour[9, 12, :3], want, atol=1e-5)
        told = account_of(rows_, VIEW, 12, 9)
        assert np.allclose(told.exact[-1].after[:3], want, atol=1e-5)
        assert np.allclose(told.set[-1].after[:3], draw_all(rows_, VIEW).colour[9, 12, :3], atol=1e-6)
    clear = panel(0, (0.2, 0.2, 0.2, 0), FLAT - 0.3 * UP, blend="Cutout", depth_write=True)  # nothing there to meet
    assert np.allclose(pixel([clear, smoke])[:3], over(c, c[3]), atol=1e-5)


@pytest.mark.parametrize("yaw", [0, 40, 70, 82])
def test_glass_goes_from_face_to_edge_by_fresnel(yaw):
    c = held(RGBA)
    t = np.radians(yaw)
    turn = np.array([[np.cos(t), 0, np.sin(t)], [0, 1, 0], [-np.sin(t), 0, np.cos(t)]])
    g = Glass(on=True, index=1.52, edge_index=1.8, edge_opacity=0.9, edge_colour=(0.0, 1.0, 0.0), edge_share=0.5)
    at = View(Camera(name="v", target=(0, 0, 0), yaw=0, pitch=0, distance=4, fov=60), 25, 19)
    got = draw_all([panel(0, RGBA, FLAT @ turn.T, glass=g)], at).colour[9, 12, :3]
    w = 1 - np.cos(t)  # the middle pixel looks straight ahead
    n = 1.52 + (1.8 - 1.52) * w
    f0 = ((n - 1) / (n + 1)) ** 2
    f = f0 + (1 - f0) * w**5
    colour = c[:3] + (np.array([0, 1, 0]) - c[:3]) * f * 0.5
    assert np.allclose(got, over(colour, c[3] + (0.9 - c[3]) * f), atol=2e-5)


def test_blending_in_display_values_is_what_such_receivers_do():
    def coded(v):
        return np.where(v <= 0.0031308, v * 12.92, 1.055 * v ** (1 / 2.4) - 0.055)

    def light(v):
        return np.where(v <= 0.04045, v / 12.92, ((v + 0.055) / 1.055) ** 2.4)

    c, a = held(RGBA), held(RGBA)[3]
    display = Lighting(blending="display")
    s, d = coded(c[:3]), coded(np.full(3, GROUND))
    for blend, want in (
        ("Translucent", s * a + d * (1 - a)),
        ("Premultiplied", s + d * (1 - a)),
        ("Additive", s * a + d),
        ("Multiply", d * (1 - a + s * a)),
        ("Solid", s),
    ):
        got = pixel([panel(0, RGBA, FLAT, blend=blend)], lighting=display)[:3]
        assert np.allclose(got, np.where(want <= 1, light(np.minimum(want, 1)), got), atol=2e-5), blend


def test_hashed_dots_keep_alpha_in_the_mean_and_stay_with_the_surface():
    far = View(Camera(name="v", target=(0, 0, 0), yaw=0, pitch=0, distance=4, fov=60), 400, 300)

    def kept(alpha, move=0.0):
        corners = np.array([(x + move, y, 0) for x, y in ((-2, 1.4), (2, 1.4), (2, -1.4), (-2, -1.4))])
        d = panel(0, (1, 1, 1, alpha), corners, blend="Dithered", dither=Dither(by="surface"))
        return draw_all([d], far).colour[..., 3] > 0

    for alpha in (0.2, 0.6, 0.8):
        inside = kept(alpha)[62:238, 75:325]
        assert abs(inside.mean() - held((1, 1, 1, alpha))[3]) < 0.03
    # Moved by whole pixels, the dots move along; those of a matrix would stay.
    step = 4 / (300 / 2 / np.tan(np.radians(30)))
    a, b = kept(0.5), kept(0.5, 20 * step)
    assert (a[62:238, 80:300] == b[62:238, 100:320]).mean() > 0.98


def test_flow_bends_the_picture_stands_still_at_its_edge_and_differs_by_placement():
    x = np.linspace(0, 1, 64, dtype=np.float32)
    ramp = Texture(np.dstack([np.tile(x, (64, 1))] * 3 + [np.ones((64, 64), np.float32)]), "data")
    fine = View(Camera(name="v", target=(0, 0, 0), yaw=0, pitch=0, distance=4, fov=60), 200, 160)

    def seen(part="1", **flow):
        d = DrawCall(
            "f",
            quad(np.array([(-2, 1.8, 0), (2, 1.8, 0), (2, -1.8, 0), (-2, -1.8, 0)])),
            ShadingInputs(ramp.mips),
            Material(lit=False, flow=UvScroll(**flow)),
            (4, 0, 0.0),
            owner="o",
            part=part,
        )
        return draw_all([d], fine).colour[10:150, 20:180, 0]

    still = seen()
    moved = seen(strength=0.1, hold="bottom", time=0.7)
    away = np.abs(moved - still)
    assert 0.02 < away[:40].mean() < 0.1 and away.max() <= 0.1 + 1e-3 and away[-4:].mean() < 0.006
    assert np.array_equal(moved, seen(strength=0.1, hold="bottom", time=0.7))
    assert not np.allclose(moved, seen(strength=0.1, hold="bottom", time=0.9))
    assert not np.allclose(moved, seen(part="2", strength=0.1, hold="bottom", time=0.7))
    assert np.array_equal(seen(strength=0.1, varied=False), seen(part="2", strength=0.1, varied=False))


@pytest.mark.parametrize("body", ["thin", "solid"])
@pytest.mark.parametrize("yaw", [0, 35, -50])
def test_refraction_sees_what_lies_where_the_bent_ray_comes_out(body, yaw):
    view = View(Camera(name="v", target=(0, 0, 0), yaw=0, pitch=0, distance=4, fov=60), 201, 161)
    x = (np.arange(2048, dtype=np.float32) + 0.5) / 2048
    ramp = Texture(np.dstack([np.tile(x, (2, 1))] * 3 + [np.ones((2, 2048), np.float32)]), "data", bits=32)
    wall = quad(np.array([(-4, 3, -1), (4, 3, -1), (4, -3, -1), (-4, -3, -1)], float))
    opaque = Material(lit=False, blend="Solid", group="Solid", depth_write=True)
    solid = DrawCall("wall", wall, ShadingInputs(ramp.mips), opaque, (1, 0, 0.0))
    t, c = np.radians(yaw), held(RGBA)
    turn = np.array([[np.cos(t), 0, np.sin(t)], [0, 1, 0], [-np.sin(t), 0, np.cos(t)]])
    glass = Glass(on=True, index=1.5, edge_index=1.5, edge_opacity=c[3], thickness=0.3, body=body)
    pane = panel(0, RGBA, FLAT @ turn.T, glass=glass)
    # Snell's law in the plane of the ray and the normal, from the angles.
    into = np.arcsin(np.sin(t) / 1.5)
    way = t - into  # the ray turns towards the normal
    long = 0.3 / np.cos(into) if body == "thin" else 0.3
    right, ahead = -np.sin(way) * long, np.cos(way) * long
    focal = min(161, 201 / 1.25) / 2 / np.tan(np.radians(30))
    at = 100.5 + focal * right / (4 + ahead)
    value = ((at - 100.5) / focal * 5 + 4) / 8
    got = draw_all([solid, pane], view).colour[80, 100, :3]
    assert np.allclose(got, c[:3] * c[3] + value * (1 - c[3]), atol=3e-4)
    if yaw:
        assert abs(value - 0.5) > 2e-3
    straight = draw_all([solid, panel(0, RGBA, FLAT @ turn.T)], view).colour[80, 100, :3]
    assert np.allclose(straight, c[:3] * c[3] + 0.5 * (1 - c[3]), atol=3e-4)


def test_refracting_things_read_what_is_there_by_then_and_frost_blurs_it():
    half = np.array([(-6, 5, -1), (0, 5, -1), (0, -5, -1), (-6, -5, -1)], float)
    wall = panel(0, (1, 1, 1, 1), half, blend="Solid", depth_write=True, group="Solid")
    wall = DrawCall("wall", wall.mesh, wall.coat, wall.material, (1, 0, 0.0))
    film = panel(1, (0, 0, 1, 0.6), half * np.array([1, 1, 0.5]))
    frosted = Glass(on=True, index=1.5, edge_index=1.5, edge_opacity=0.0, thickness=0.01, frost=1.0)
    clear = frosted.model_copy(update={"frost": 0.0})

    def seen(glass, order=(0, 1, 2)):
        pane = panel(2, (0, 0, 0, 0), FLAT, glass=glass)
        rows = [[wall, film, pane][k] for k in order]
        found = draw_all(rows, VIEW).colour
        for x, y in ((3, 4), (11, 9), (12, 9), (20, 15)):
            told = account_of(rows, VIEW, x, y)
            assert np.array_equal(np.array(told.end(), np.float32), found[y, x])
            assert np.array_equal(np.array(told.end("exact"), np.float32), draw_exact(rows, VIEW).colour[y, x])
        return found

    sharp = seen(clear)
    seen(frosted)
    # A clear pane shows film and wall as they are; drawn before the film, it has not seen it yet, and the film covers it.
    assert np.allclose(sharp[9, :10, :3], np.array([0.4, 0.4, 1.0]), atol=2e-3)
    assert np.allclose(seen(clear, (0, 2, 1))[9, :10, :3], np.array([0.4, 0.4, 1.0]), atol=2e-3)
    # Blurred over a tenth of the height at roughness 0.6: the edge of the wall is spread, the mean is kept.
    tall = View(VIEW.camera, 240, 180)
    one, other = (
        draw_all([wall, film, panel(2, (0, 0, 0, 0), FLAT, glass=g)], tall).colour[90, :, 2] for g in (clear, frosted)
    )
    assert np.abs(np.diff(other)).max() < 0.2 * np.abs(np.diff(one)).max() and abs(one.mean() - other.mean()) < 0.01


@pytest.mark.parametrize("group", ["Backdrop", "Solid", "Cutout"])
def test_a_refracting_pane_in_a_group_before_the_light_is_drawn_without_what_is_not_there_yet(group):
    glass = Glass(on=True, index=1.5, edge_index=1.5, thickness=0.3)
    pane = panel(0, RGBA, FLAT, glass=glass, group=group)
    early = DrawCall(
        pane.name, pane.mesh, pane.coat, pane.material, ({"Backdrop": 0, "Solid": 1, "Cutout": 2}[group], 0, 0.0)
    )
    assert np.isfinite(pixel([early])).all()


def with_facts(draw, **facts):
    rows = np.zeros((len(draw.mesh.index), 5))
    for k, v in facts.items():
        rows[:, FACTS.index(k)] = v
    return replace(draw, mesh=replace(draw.mesh, facts=rows))


def test_a_face_may_be_worn_on_its_own_and_show_the_next_frame():
    c = held(RGBA)
    worn = with_facts(panel(0, RGBA, FLAT, erosion=Erosion(form="erode", by="life", amount=0.9)), worn=0.25)
    assert np.allclose(pixel([worn])[:3], over(c, c[3] - 0.25), atol=1e-5)
    # Two frames side by side: the left one red, the right one blue, of unlike opacity.
    values = np.zeros((64, 128, 4), np.float32)
    values[:, :64], values[:, 64:] = (1, 0, 0, 0.8), (0, 0, 1, 0.4)
    sheet = quad(FLAT, (0.1, 0.1, 0.4, 0.9))
    draw = DrawCall("s", sheet, ShadingInputs(Texture(values).mips), Material(lit=False), (4, 0, 0.0), owner="s", part="1")
    for share in (0.0, 0.25, 1.0):
        now = with_facts(draw, right=0.5, next=share)
        a = 0.8 + (0.4 - 0.8) * share
        want = over((1 - share, 0, share), a)
        assert np.allclose(pixel([now])[:3], want, atol=2e-3), share


def test_broken_up_by_a_picture_its_dark_parts_first_and_so_are_shadows():
    c = held(RGBA)
    grey = np.tile(np.linspace(0, 1, 256, dtype=np.float32), (8, 1))
    ramp = Texture(np.dstack([grey, grey, grey, np.ones_like(grey)]), data=True)
    at = View(Camera(name="v", target=(0, 0, 0), yaw=0, pitch=0, distance=8, fov=60), 200, 100)
    coat = ShadingInputs(tone(RGBA).mips, mask=Input(1.0, ramp.mips, 0))
    m = Material(lit=False, breakup=Breakup(amount=0.5, soft=0.001))
    alpha = draw_all([DrawCall("b", quad(FLAT), coat, m, (4, 0, 0.0))], at).colour[50, :, 3]
    x = np.flatnonzero(alpha > 0.01)
    focal = 50 / np.tan(np.radians(30))
    assert abs(x[0] - 100) <= 1 and abs(x[-1] - (100 + 6 / 8 * focal)) <= 1.5 and np.allclose(alpha[x[2:]], c[3], atol=1e-3)
    mask = shadow_mask(np.ones((32, 32), np.float32), m.model_copy(update={"blend": "Cutout"}), Input(1.0, ramp.mips, 0))
    assert not mask.level(0)[:, :15, 3].any() and mask.level(0)[:, 17:, 3].all()
    eroded = Material(blend="Cutout", erosion=Erosion(form="erode", amount=0.3))
    tilt = np.tile(np.linspace(0, 1, 65, dtype=np.float32), (4, 1))
    assert np.array_equal(shadow_mask(tilt, eroded).level(0)[0, :, 3] > 0.5, tilt[0] - 0.3 >= 0.5)


def test_slices_of_a_stack_cut_one_solid_noise():
    at = View(Camera(name="v", target=(0, 0, 0), yaw=0, pitch=0, distance=4, fov=60), 120, 90)
    m = Material(lit=False, breakup=Breakup(amount=0.5, soft=0.3, scale=3))

    def shown(count, depth, k):
        mesh = stack(count, 2.0, 2.0, depth, solid=True)
        part = replace(mesh, index=mesh.index[2 * k : 2 * k + 2], facts=mesh.facts[2 * k : 2 * k + 2])
        part = part.transformed(np.array([[1, 0, 0, 0], [0, 1, 0, 0], [0, 0, 0, 0]]) + 1e-12 * np.eye(3, 4))
        return draw_all([DrawCall("s", part, ShadingInputs(tone((1, 1, 1, 1)).mips), m, (4, 0, 0.0))], at).colour[..., 3]

    # Slices close together look alike, far ones do not; a slice at the same depth is the same, however many there are.
    first, second, last = shown(64, 1.0, 0), shown(64, 1.0, 1), shown(64, 1.0, 63)
    assert 0 < np.abs(first - second).mean() < 0.25 * np.abs(first - last).mean()
    assert np.array_equal(shown(3, 1.0, 1), shown(5, 1.0, 2))


@pytest.mark.parametrize("frost", [0.05, 0.2, 0.45, 0.7, 1.0])
def test_frost_is_a_gaussian_of_the_picture_behind(frost):
    """Against a blur worked out numerically: standard deviation a twentieth of the height at roughness one."""
    view = View(Camera(name="v", target=(0, 0, 0), yaw=0, pitch=0, distance=4, fov=60), 640, 400)
    rng = np.random.default_rng(3)
    blocks = np.kron(rng.random((25, 40, 3)), np.ones((16, 16, 1))).astype(np.float32)
    wall = Texture(np.dstack([blocks, np.ones(blocks.shape[:2], np.float32)]), "data", bits=32)
    far = quad(np.array([(-5, 3, -1), (5, 3, -1), (5, -3, -1), (-5, -3, -1)], float))
    opaque = Material(lit=False, blend="Solid", group="Solid", depth_write=True)
    solid = DrawCall("wall", far, ShadingInputs(wall.mips), opaque, (1, 0, 0.0))
    glass = Glass(on=True, index=1.0, edge_index=1.0, edge_opacity=0.0, frost=frost)
    pane = panel(0, (0, 0, 0, 0), FLAT, glass=glass)
    pane = replace(pane, coat=replace(pane.coat, rough=Input(1.0)))
    sharp = draw_all([solid], view).colour[..., :3]
    seen = draw_all([solid, pane], view).colour[..., :3]
    sigma = 0.5 * frost * 0.1 * view.height
    want = cv2.GaussianBlur(sharp, (0, 0), sigma, borderType=cv2.BORDER_REPLICATE)
    edge = int(4 * sigma) + 2
    inside = slice(edge, -edge), slice(edge, -edge)
    scale = np.abs(want - want.mean((0, 1)))[inside].mean()
    assert np.abs(seen - want)[inside].mean() < 0.06 * scale + 0.002, sigma
    assert np.abs(seen - want)[inside].max() < 0.1


@pytest.mark.parametrize("seed", range(6))
def test_what_refracts_is_drawn_anew_where_what_it_reads_has_changed_and_nowhere_else(seed):
    rng, view = np.random.default_rng(seed), View(Camera(name="v", target=(0, 0, 0), yaw=8, pitch=4, distance=5), 260, 200)
    colours = rng.random((9, 4)).astype(np.float32)

    def at(k, **more):
        x, y, z = rng.uniform(-1.6, 1.6), rng.uniform(-1.1, 1.1), rng.uniform(-1.5, 1)
        corners = np.array([(x - 0.3, y + 0.3, z), (x + 0.3, y + 0.3, z), (x + 0.3, y - 0.3, z), (x - 0.3, y - 0.3, z)])
        return panel(z, tuple(colours[k]), corners, **more)

    rows = [at(k) for k in range(6)]
    rows.append(at(6, blend="Solid", group="Solid", depth_write=True))
    for k, frost in ((7, 0.0), (8, 0.3)):
        glass = Glass(on=True, index=1.5, edge_index=1.5, thickness=0.05, frost=frost, edge_opacity=0.2)
        rows.append(at(k, glass=glass))
    rows.sort(key=lambda d: d.order)
    kept, light = Painter(), Lighting()
    kept.paint(rows, view, light)
    small = 0
    for _ in range(12):
        k = int(rng.integers(len(rows)))
        rows[k] = replace(rows[k], material=rows[k].material.model_copy(update={"opacity": float(rng.uniform(0.2, 1))}))
        assert np.array_equal(kept.paint(rows, view, light), Painter().paint(rows, view, light)), k
        small += sum((b[1] - b[0]) * (b[3] - b[2]) for b in kept.drawn) < 0.6 * view.width * view.height
    assert small >= 6


def test_parts_of_one_thing_that_refract_see_each_other():
    """Two panes as one mesh are the picture of two draws; a closed body shows its far side through its near one."""
    view = View(Camera(name="v", target=(0, 0, 0), yaw=10, pitch=5, distance=5), 120, 90)
    x = np.kron(np.arange(8) % 2, np.ones(8)).astype(np.float32)
    stripes = Texture(np.dstack([np.tile(x, (2, 1))] * 3 + [np.ones((2, 64), np.float32)]), "data", bits=32)
    far = quad(np.array([(-5, 3, -2), (5, 3, -2), (5, -3, -2), (-5, -3, -2)], float))
    opaque = Material(lit=False, blend="Solid", group="Solid", depth_write=True)
    wall = DrawCall("wall", far, ShadingInputs(stripes.mips), opaque, (1, 0, 0.0))
    glass = Glass(on=True, index=1.5, edge_index=1.5, edge_opacity=0.1, thickness=0.2, frost=0.1)
    corners = FLAT * 0.2
    one, two = (
        panel(z, (0.2, 0.5, 0.8, 0.3), corners + np.array([dx, 0, z]), glass=glass) for z, dx in ((-0.5, 0), (0.5, 0.4))
    )
    apart = draw_all([wall, one, two], view).colour
    mesh = replace(
        two.mesh,
        position=np.concatenate([two.mesh.position, one.mesh.position]),
        normal=np.concatenate([two.mesh.normal, one.mesh.normal]),
        uv0=np.concatenate([two.mesh.uv0, one.mesh.uv0]),
        index=np.concatenate([two.mesh.index, one.mesh.index + len(two.mesh.position)]),
    )
    both = replace(one, mesh=mesh)
    assert np.array_equal(draw_all([wall, both], view).colour, apart)
    assert np.abs(apart - draw_all([wall, two], view).colour).max() > 0.05
    for x, y in ((60, 45), (50, 40), (70, 50)):
        told = account_of([wall, both], view, x, y)
        assert np.array_equal(np.array(told.end(), np.float32), apart[y, x])
        assert np.array_equal(np.array(told.end("exact"), np.float32), draw_exact([wall, both], view).colour[y, x])

"""Light on surfaces against integrals and closed forms written down here again, in double precision."""

import math

import numpy as np
import pytest

from mivex.core.material.material import Channel, Finish, Mapping, Material, packed
from mivex.core.picture.texture import Texture
from mivex.core.project.document import Overlay
from mivex.core.scene.draw_calls import overlay_draw
from mivex.core.scene.material_binding import file_key
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.draw import DrawCall, Input, ShadingInputs
from mivex.core.stage.environment import SIZES, SKIES, environment, reflectance_table
from mivex.core.stage.kernels.light import lit_many
from mivex.core.stage.lighting import light_record, shadows_of
from mivex.core.stage.lights import ENVIRONMENTS, Lighting
from mivex.core.stage.mesh import quad, sheet
from mivex.core.stage.passes import draw_all
from mivex.core.stage.placements_model import PanelPlace

DARK = Lighting(strength=0.0, lamp=1.0, shadows=False)
VIEW = View(Camera(name="l", target=(0, 0, 0), yaw=0, pitch=0, distance=3.0), 60, 48)
PANEL = np.array([[-1.0, 1, 0], [1, 1, 0], [1, -1, 0], [-1, -1, 0]])
OPAQUE = Material(blend="Solid", group="Solid", depth_write=True)


def brdf(n, v, light, base, rough, metal):
    """Microfacets by Walter (2007) with Heitz's correlated masking through Λ, Schlick's Fresnel, and a matt base."""
    a = max(rough, 0.03) ** 2
    h = (v + light) / np.linalg.norm(v + light)
    nl, nv, nh, vh = n @ light, n @ v, n @ h, v @ h

    def lam(c):
        return (-1 + math.sqrt(1 + a * a * (1 / c**2 - 1))) / 2

    d = a * a / (math.pi * ((a * a - 1) * nh**2 + 1) ** 2)
    g = 1 / (1 + lam(nl) + lam(nv))
    f0 = 0.04 + (base - 0.04) * metal
    f = f0 + (1 - f0) * (1 - vh) ** 5
    return f * d * g / (4 * nl * nv) + (1 - f) * (1 - metal) * base / math.pi


def lit(lighting, n, v, base, rough, metal, occlusion=1.0):
    """What the product says of one place."""
    record, held = light_record(lighting, None)
    out = np.zeros((1, 4), np.float32)
    one = np.float32
    lit_many(
        record,
        np.array([n], one),
        np.array([v], one),
        np.zeros((1, 3), one),
        np.array([[*base, 1]], one),
        np.array([[rough, metal, occlusion]], one),
        out,
    )
    del held
    return out[0, :3]


def test_the_lamp_is_the_microfacet_formula(rng):
    for _ in range(40):
        n = np.array([0.0, 0, 1])
        v = rng.normal(size=3)
        v[2] = abs(v[2]) + 0.15
        v /= np.linalg.norm(v)
        where = {"lamp_turn": float(rng.uniform(-70, 70)), "lamp_height": float(rng.uniform(5, 60))}
        lighting = DARK.model_copy(update=where)
        rough, metal = float(rng.uniform(0.05, 1)), float(rng.uniform(0, 1))
        base = rng.uniform(0.05, 1, 3)
        got = lit(lighting, n, v, base, rough, metal)
        to = lighting.towards_lamp
        assert to[2] > 0
        want = [math.pi * brdf(n, v, to, b, rough, metal) * (n @ to) for b in base]
        assert got == pytest.approx(want, rel=2e-4, abs=1e-5)


@pytest.mark.parametrize(("rough", "nv"), [(0.09, 0.9), (0.3, 0.5), (0.3, 0.12), (0.7, 0.8), (0.95, 0.3)])
def test_the_table_is_the_integral_over_the_half_sphere(rough, nv):
    """∫ f·cos for a mirror colour of 1 and of 0: dense rings round the mirrored direction and over the whole sky."""
    a = rough**2
    v = np.array([math.sqrt(1 - nv * nv), 0, nv])
    # Fine where the lobe is: the half vector's angle, spaced by its tangent.
    t = (np.arange(1200) + 0.5) / 1200 * math.pi / 2
    theta = np.arctan(a * np.tan(t) * 1.0)
    jac = a / np.cos(t) ** 2 / (1 + (a * np.tan(t)) ** 2)
    phi = (np.arange(400) + 0.5) / 400 * 2 * math.pi
    th, ph = np.meshgrid(theta, phi, indexing="ij")
    h = np.stack([np.sin(th) * np.cos(ph), np.sin(th) * np.sin(ph), np.cos(th)], -1)
    vh = h @ v
    light = 2 * vh[..., None] * h - v
    nl, nh = light[..., 2], h[..., 2]
    ok = (nl > 0) & (vh > 0)
    nl = np.where(ok, nl, 1)
    d = a * a / (math.pi * ((a * a - 1) * nh**2 + 1) ** 2)
    lam = [(-1 + np.sqrt(1 + a * a * (1 / c**2 - 1))) / 2 for c in (nl, nv)]
    f = d / (1 + lam[0] + lam[1]) / (4 * nl * nv) * nl
    # dω_l = 4 (v·h) dω_h
    weight = np.sin(th) * (jac[:, None] * (math.pi / 2 / 1200) * (2 * math.pi / 400)) * 4 * vh * ok
    whole, low = (f * weight).sum(), (f * (1 - vh) ** 5 * weight).sum()
    table = reflectance_table()
    x, y = nv * 64 - 0.5, rough * 64 - 0.5
    i, j = int(x), int(y)
    fx, fy = x - i, y - j
    scale, shift = sum(table[j + b, i + c] * (fx if c else 1 - fx) * (fy if b else 1 - fy) for b in (0, 1) for c in (0, 1))
    assert scale + shift == pytest.approx(whole, rel=0.01)
    assert shift == pytest.approx(low, rel=0.01, abs=0.002)


@pytest.mark.parametrize("name", ENVIRONMENTS)
def test_prefiltered_environments_are_their_integrals(name, rng):
    """Against sums over the formula of the environment itself, by the cosine-weighted lobe and by the plain cosine."""
    env = environment(name)
    peak = float(env.even[..., :3].max())
    for level in (4, 7, 10, 11):
        rough = level / 11
        a2 = rough**4
        for _ in range(4):
            d = rng.normal(size=3)
            d /= np.linalg.norm(d)
            x = np.cross(d, [0.3, 1, 0.2])
            x /= np.linalg.norm(x)
            y = np.cross(d, x)
            # Equal shares of D(h)·cos, four times finer than the product's own, each ring turned by chance.
            e = (np.arange(400) + 0.5) / 400
            c = np.sqrt((1 - e) / (1 + (a2 - 1) * e))
            nl = 2 * c * c - 1
            keep = nl > 0
            nl = nl[keep]
            phi = (np.arange(96) + rng.random((nl.size, 1))) / 96 * 2 * math.pi
            s = np.sqrt(1 - nl**2)[:, None]
            dirs = nl[:, None, None] * d + (s * np.cos(phi))[..., None] * x + (s * np.sin(phi))[..., None] * y
            want = (SKIES[name](dirs).mean(axis=1) * nl[:, None]).sum(axis=0) / nl.sum()
            got = _read(env.level(level), SIZES[level], d)
            assert np.abs(got - want).max() < 0.01 * max(peak, float(want.max())), (level, d)
    d = np.array([0.3, 0.9, -0.2])
    d /= np.linalg.norm(d)
    k = np.arange(400000) + 0.5  # evenly over the sphere, along a golden spiral
    y, turn = 1 - k / 200000, k * math.pi * (3 - math.sqrt(5))
    fine = np.stack([np.sqrt(1 - y * y) * np.cos(turn), y, np.sqrt(1 - y * y) * np.sin(turn)], -1)
    c = np.maximum(fine @ d, 0)
    want = 4 * (SKIES[name](fine) * c[:, None]).mean(axis=0)
    assert _read(env.even, 32, d) == pytest.approx(want, rel=0.01)


def _read(pixels, side, d):
    """Bilinear, by hand, of an octahedral map."""
    p, q = d[0] / np.abs(d).sum(), d[2] / np.abs(d).sum()
    if d[1] < 0:
        p, q = (1 - abs(q)) * (1 if p >= 0 else -1), (1 - abs(p)) * (1 if q >= 0 else -1)
    x, y = (p * 0.5 + 0.5) * side + 0.5, (q * 0.5 + 0.5) * side + 0.5
    i, j = int(x), int(y)
    fx, fy = x - i, y - j
    return (
        (pixels[j, i] * (1 - fx) + pixels[j, i + 1] * fx) * (1 - fy)
        + (pixels[j + 1, i] * (1 - fx) + pixels[j + 1, i + 1] * fx) * fy
    )[:3].astype(float)


def drawn(coat, corners=PANEL, material=OPAQUE, lighting=DARK, view=VIEW, mesh=None):
    return draw_all([DrawCall("p", mesh or quad(corners), coat, material, (1, 0, 0.0))], view, lighting).colour[24, 30]


def bent(tx, ty):
    """A normal map that leans everywhere by the same slopes, stored in full."""
    n = np.array([tx, ty, 1.0]) / math.sqrt(tx * tx + ty * ty + 1)
    return Texture(np.full((4, 4, 4), [*(n * 0.5 + 0.5), 1.0], np.float32), meaning="data", bits=32).mips


def turned(yaw, pitch, u=1, v=1):
    """A panel turned round; ``u`` or ``v`` −1 mirrors its picture. With the directions of its picture's right and up."""
    a, b = math.radians(yaw), math.radians(pitch)
    right = np.array([math.cos(a), 0, -math.sin(a)])
    out = np.array([math.sin(a) * math.cos(b), math.sin(b), math.cos(a) * math.cos(b)])
    up = np.cross(out, right)
    corners = np.stack([-right + up, right + up, right - up, -right - up])
    m = quad(corners, (0 if u > 0 else 1, 0 if v > 0 else 1, 1 if u > 0 else 0, 1 if v > 0 else 0))
    return m, right * u, up * v, out


WHITE = Texture(np.full((4, 4, 4), 0.5, np.float32), meaning="data").mips


@pytest.mark.parametrize(("u", "v"), [(1, 1), (-1, 1), (1, -1)])
@pytest.mark.parametrize("green_up", [True, False])
def test_a_normal_map_on_a_turned_panel_is_its_closed_form(u, v, green_up):
    for yaw, pitch, tx, ty, strength in ((25, 10, 0.3, 0.0, 1.0), (-20, 35, -0.1, 0.4, 1.0), (10, -15, 0.2, 0.3, -0.5)):
        mesh, right, up, out = turned(yaw, pitch, u, v)
        coat = ShadingInputs(
            WHITE, rough=Input(1.0), metal=Input(0.0), normal=bent(tx, ty), normal_strength=strength, green_up=green_up
        )
        got = drawn(coat, mesh=mesh)
        n = right * tx * strength + up * ty * strength * (1 if green_up else -1) + out
        n /= np.linalg.norm(n)
        eye = VIEW.eye / np.linalg.norm(VIEW.eye)
        want = math.pi * brdf(n, eye, DARK.towards_lamp, 0.5, 1.0, 0.0) * (n @ DARK.towards_lamp)
        # The pixel's centre lies a little beside the axis.
        assert got[0] == pytest.approx(want, rel=0.01)


def test_both_faces_are_lit_from_their_own_side():
    front = drawn(ShadingInputs(WHITE, rough=Input(1.0)))
    back = drawn(ShadingInputs(WHITE, rough=Input(1.0)), corners=PANEL[[1, 0, 3, 2]])
    assert back[:3] == pytest.approx(front[:3], rel=1e-5)


def test_packed_channels_are_read_in_their_order(rng):
    """A surface of three packed numbers is the surface with these numbers."""
    rough, metal, occlusion = 0.3, 0.8, 0.6
    picture = Texture(np.full((8, 8, 4), [occlusion, 1 - rough, metal, 0.25], np.float32), meaning="data", bits=32)
    own = Texture(np.full((4, 4, 4), [0.7, 0.5, 0.3, 1.0], np.float32), meaning="data")
    o = Overlay(id="o", name="o", places=(PanelPlace(at=(0, 0, 0), width=2, height=2),), material=OPAQUE)
    plain = o.model_copy(
        update={
            "material": OPAQUE.model_copy(
                update={
                    "finish": Finish(
                        roughness=Channel(value=rough), metal=Channel(value=metal), occlusion=Channel(value=occlusion)
                    )
                }
            )
        }
    )
    order = ("occlusion", "smoothness", "metal", "nothing")
    for where, key in (
        ({"source": "overlay", "overlay": "p"}, "p"),
        ({"source": "file", "path": "x.png"}, file_key("x.png", "data")),
    ):
        read = o.model_copy(update={"material": OPAQUE.model_copy(update={"finish": packed(Finish(), order, **where)})})
        light = Lighting()
        got, want = (
            draw_all([overlay_draw(k, o.places[0], own, VIEW, {key: picture})], VIEW, light).colour[24, 30]
            for k in (read, plain)
        )
        assert got.tolist() == pytest.approx(want.tolist(), abs=1e-5)
    # Opacity from another picture's alpha, inverted: a quarter is clear.
    m = Material(lit=False, finish=Finish(opacity=Channel(source="overlay", overlay="p", channel="alpha", invert=True)))
    o = o.model_copy(update={"material": m})
    seen = draw_all([overlay_draw(o, o.places[0], own, VIEW, {"p": picture})], VIEW).colour[24, 30]
    assert seen.tolist() == pytest.approx([0.18 + (c - 0.18) * 0.75 for c in (0.7, 0.5, 0.3)] + [0.75], abs=1e-6)


def test_roughness_alone_makes_two_paints_differ():
    around, along = np.meshgrid(np.radians(np.linspace(75, -75, 41)), np.linspace(-1, 1, 3), indexing="ij")
    normal = np.stack([0 * along, np.sin(around), np.cos(around)], -1)
    pipe = sheet(np.stack([along, normal[..., 1], normal[..., 2] - 1], -1), normal, np.stack([along, around], -1))
    smooth, dull = (
        draw_all([DrawCall("p", pipe, ShadingInputs(WHITE, rough=Input(r)), OPAQUE, (1, 0, 0.0))], VIEW, Lighting()).colour[
            13:35, 20:40, 0
        ]
        for r in (0.08, 0.8)
    )
    assert np.abs(smooth - dull).max() > 0.05
    # The smooth one mirrors the lights of the surroundings; over the dull one they are spread.
    assert np.abs(np.diff(smooth, axis=0)).max() > 3 * np.abs(np.diff(dull, axis=0)).max()


def test_the_shadow_of_a_grille_lets_its_share_through():
    """A pierced panel over a floor, the lamp at an angle: the mean light in its shadow is what its holes leave open."""
    y, x = np.mgrid[:256, :256]
    for hole, pitch in ((20, 32), (6, 8), (3, 8)):
        open_ = (x % pitch < hole) & (y % pitch < hole)
        alpha = np.where(open_, 0.0, 1.0)
        grille = Texture(np.dstack([np.full((256, 256, 3), 0.5), alpha]).astype(np.float32), meaning="data")
        lighting = Lighting(strength=0.0, lamp=1.0, lamp_turn=20, lamp_height=60)
        ground = quad(np.array([[-3.0, 0, -3], [3, 0, -3], [3, 0, 3], [-3, 0, 3]]))
        floor = DrawCall("floor", ground, ShadingInputs(WHITE, rough=Input(1.0)), OPAQUE, (1, 0, 0.0))
        o = Overlay(
            id="g",
            name="g",
            material=Material(blend="Cutout", group="Cutout", depth_write=True),
            places=(PanelPlace(at=(0, 1.0, 0), pitch=-90, width=2, height=2),),
        )
        view = View(Camera(name="v", target=(0, 0, 0), pitch=80, distance=6), 64, 48)
        pane = overlay_draw(o, o.places[0], grille, view)
        shadows = shadows_of([floor, pane], lighting.towards_lamp)
        to = lighting.towards_lamp
        middle = -to * (1.0 / to[1])  # below the pane's middle, along the lamp's rays
        at = np.stack(np.meshgrid(np.linspace(-0.75, 0.75, 301), np.linspace(-0.75, 0.75, 301)), -1).reshape(-1, 2)
        places = np.zeros((len(at), 3), np.float32)
        places[:, 0], places[:, 2] = middle[0] + at[:, 0], middle[2] + at[:, 1]
        record, held = light_record(lighting, shadows)
        up = np.tile(np.array([0, 1, 0], np.float32), (len(at), 1))
        out = [np.zeros((len(at), 4), np.float32) for _ in range(2)]
        for k, r in enumerate((record, light_record(lighting, None)[0])):
            lit_many(
                r,
                up,
                up,
                places,
                np.full((len(at), 4), 0.5, np.float32),
                np.tile(np.array([1, 0, 1], np.float32), (len(at), 1)),
                out[k],
            )
        del held
        share = out[0][:, 0].mean() / out[1][:, 0].mean()
        assert share == pytest.approx((hole / pitch) ** 2, abs=0.02), (hole, pitch)


def test_the_shadow_of_a_tiled_grille_is_tiled():
    y, x = np.mgrid[:64, :64]
    one = np.where((x < 32) & (y < 32), 0.0, 1.0)

    def seen(alpha, **mapping):
        t = Texture(np.dstack([np.full((*alpha.shape, 3), 0.5), alpha]).astype(np.float32), meaning="data")
        m = Material(blend="Cutout", group="Cutout", tiling=True, mapping=Mapping(**mapping))
        o = Overlay(id="g", name="g", material=m, places=(PanelPlace(at=(0, 1, 0), pitch=-90, width=2, height=2),))
        return shadows_of([overlay_draw(o, o.places[0], t, VIEW)], DARK.towards_lamp, side=256).seen[..., 2]

    # Twice as often, moved by half a tile so that the middle stays in the middle.
    twice = np.tile(np.roll(one, (32, 32), (0, 1)), (2, 2))
    assert np.abs(seen(one, across=2.0, down=2.0) - seen(twice)).mean() < 0.02
    assert np.abs(seen(one) - seen(twice)).mean() > 0.1


def test_solid_casters_in_the_same_place_count_once_and_pierced_ones_each():
    alpha = np.indices((256, 256)).sum(axis=0) % 2  # finer than the lamp's texels: half is let through
    half = Texture(np.dstack([np.full((256, 256, 3), 0.5), alpha]).astype(np.float32), meaning="data")
    see = Material(blend="Cutout", group="Cutout")
    o = Overlay(id="g", name="g", material=see, places=(PanelPlace(at=(0, 1, 0), pitch=-90, width=4, height=4),))
    pane = overlay_draw(o, o.places[0], half, VIEW)
    lower = DrawCall("low", quad(PANEL[:, [0, 2, 1]] * 2), ShadingInputs(WHITE), OPAQUE, (1, 0, 0.0))
    upper = DrawCall("up", quad(PANEL[:, [0, 2, 1]] + (0.3, 0.5, 0)), ShadingInputs(WHITE), OPAQUE, (1, 0, 0.0))
    seen = [
        shadows_of(draws, DARK.towards_lamp, side=128).seen
        for draws in ([lower, upper, pane, pane], [pane, *[lower, upper] * 150, pane], [lower, upper, pane])
    ]
    assert len(np.unique(seen[0][..., 0])) > 100  # both are seen, not one
    assert np.array_equal(seen[0], seen[1])
    assert seen[0][64, 64, 2] < seen[2][64, 64, 2] < 1

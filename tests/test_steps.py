"""Every further step against values worked out independently: analytic shapes, plain arithmetic, SciPy, slow twins."""

import math

import cv2
import numpy as np
import pytest
from scipy import ndimage
from sprites import cut_from, disc, paint, rgba, srgb_decode, srgb_encode

from mivex.core.image.nearest import nearest
from mivex.core.image.outline import outline_error, trace
from mivex.core.image.picture import Picture
from mivex.core.image.texture import Texture
from mivex.core.image.vector import covered, draw_svg, text_edges
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Context, Surface
from mivex.core.prepare.falloff import Stroke, brushed
from mivex.core.prepare.tiling import Noise, noise_field, seams

MASK = Picture(np.dstack([np.tile(np.linspace(0, 1, 32), (32, 1))] * 3 + [np.ones((32, 32))]).astype(np.float32),
               has_alpha=False)
CONTEXT = Context(lambda path: MASK)


def run(name, surface, **settings):
    step = STEPS[name]
    return step.run(surface, step.params.model_validate({"step": name, **settings}), CONTEXT)


def plain(alpha, rgb=(0.4, 0.5, 0.6)):
    return Surface(rgba(np.broadcast_to(rgb, (*alpha.shape, 3)), alpha))


def circle(n, r, c=None, soft=1.0):
    """Alpha of a disc whose edge is ``soft`` texels wide, straight across."""
    y, x = np.mgrid[:n, :n] + 0.5
    cy, cx = c or (n / 2, n / 2)
    return np.clip(0.5 - (np.hypot(y - cy, x - cx) - r) / soft, 0, 1).astype(np.float32)


# Alpha ---------------------------------------------------------------------------------------------


@pytest.mark.parametrize("space", ["display", "linear"])
@pytest.mark.parametrize("key", [(0.1, 0.7, 0.2), (0.05, 0.15, 0.8), (0.9, 0.9, 0.9)])
def test_key_colour_recovers_a_synthetic_blend(key, space):
    alpha, F = disc(), np.array([0.75, 0.35, 0.4])
    rgb = np.broadcast_to(F, (*alpha.shape, 3))
    picture = Surface(rgba(cut_from(rgb, alpha, key, space), np.ones_like(alpha)), has_alpha=False)
    decode = srgb_decode if space == "linear" else np.asarray
    far = float(np.linalg.norm(decode(F) - decode(key)))
    out = run("key-colour", picture, key=key, near=0, far=far, space=space).values
    assert np.abs(out[..., 3] - alpha).max() < 2 / 255
    seen = alpha > 0.1
    assert np.abs(out[..., :3] - rgb)[seen].max() < 2 / 255
    # Clean 0 leaves the colour mixed; an alpha that is there stays in force.
    mixed = run("key-colour", picture, key=key, near=0, far=far, clean=0, space=space).values
    assert np.abs(mixed[..., :3] - picture.values[..., :3]).max() < 2e-6
    half = Surface(np.dstack([picture.values[..., :3], np.full_like(alpha, 0.5)]).astype(np.float32))
    assert np.allclose(run("key-colour", half, key=key, near=0, far=far, space=space).alpha, out[..., 3] / 2, atol=1e-6)


def test_despill_lowers_the_leading_channel_to_the_larger_of_the_others():
    v = np.array([[[0.5, 0.8, 0.6, 1], [0.7, 0.3, 0.2, 1]]], np.float32)
    out = run("key-colour", Surface(v), key=(0, 1, 0), near=0, far=0.1, despill=1.0).values
    assert out[0, 0].tolist() == pytest.approx([0.5, 0.6, 0.6, 1]) and np.array_equal(out[0, 1], v[0, 1])
    half = run("key-colour", Surface(v), key=(0, 1, 0), near=0, far=0.1, despill=0.5).values
    assert half[0, 0, 1] == pytest.approx(0.7)
    grey = run("key-colour", Surface(v), key=(0.5, 0.5, 0.5), near=0, far=0.01, despill=1.0).values
    assert np.array_equal(grey[..., :3], v[..., :3])


def test_combine_by_hand():
    v = Surface(np.array([[[0.2, 0.6, 0.4, 0.3], [1, 1, 1, 0.8]]], np.float32))
    want = {"maximum": (0.6, 1), "minimum": (0.3, 0.8), "multiply": (0.18, 0.8), "add": (0.9, 1), "subtract": (0, 0)}
    for how, alpha in want.items():
        assert run("combine", v, how=how, take="green").alpha[0].tolist() == pytest.approx(alpha, abs=1e-6)
    assert run("combine", v, take="green", invert=True).alpha[0].tolist() == pytest.approx([0.12, 0], abs=1e-6)
    assert run("combine", v, take="green", amount=0.5).alpha[0, 0] == pytest.approx(0.24)
    wide = run("combine", plain(np.ones((8, 64), np.float32)), file="m", take="auto").alpha
    assert wide.shape == (8, 64) and np.all(np.diff(wide[0]) >= 0) and wide[0, 0] < 0.02 and wide[0, -1] > 0.98


def test_curve_threshold_and_smoothstep():
    at = np.linspace(0, 1, 101).astype(np.float32)
    s = Surface(np.dstack([at[None]] * 3 + [at[None]]))
    points = ((0.0, 0.1), (0.3, 0.2), (0.5, 0.9), (1.0, 0.9))
    out = run("curve", s, points=points).alpha[0]
    for x, y in points:
        assert out[round(x * 100)] == pytest.approx(y, abs=2e-4)
    assert out.min() >= 0.1 - 1e-6 and out.max() <= 0.9 + 1e-6 and np.all(np.diff(out) >= -1e-6)  # never overshoots
    green = run("curve", s, points=points, channel="green").values
    assert np.allclose(green[0, :, 1], out) and np.array_equal(green[..., [0, 2, 3]], s.values[..., [0, 2, 3]])
    assert np.array_equal(run("threshold", s, at=0.5).alpha[0], (at >= 0.5).astype(np.float32))
    t = np.clip((at - 0.2) / 0.5, 0, 1)
    assert np.abs(run("smoothstep", s, low=0.2, high=0.7).alpha[0] - t * t * (3 - 2 * t)).max() < 1e-6
    for bad in (((0.0, 0.0),), ((0.5, 0.0), (0.5, 1.0)), ((0.0, 0.0), (1.0, 1.5))):
        with pytest.raises(ValueError):
            STEPS["curve"].params.model_validate({"step": "curve", "points": bad})


def test_nearest_texels_and_outline_distances_are_exact(rng):
    mask = rng.random((70, 90)) > 0.98
    exact = ndimage.distance_transform_edt(~mask)
    index, distance = nearest(mask)
    y, x = np.mgrid[:70, :90]
    assert mask.reshape(-1)[index].all() and np.abs(distance - exact).max() < 1e-4
    assert np.allclose(np.hypot(index // 90 - y, index % 90 - x), distance, atol=1e-4)
    lone = np.zeros((5, 300), bool)
    lone[2, 299] = True
    assert nearest(lone)[1][2, 0] == 299
    # A circle's outline, to a fraction of a texel, far out and deep inside.
    for soft in (1.0, 4.0, 12.0):
        o = trace(circle(200, 52.3, (97.2, 103.9), soft), 40)
        y, x = np.mgrid[:200, :200] + 0.5
        true = np.hypot(y - 97.2, x - 103.9) - 52.3
        off = np.abs(o.distance - true)
        assert off[np.abs(true) < 8].max() < (0.1 if soft == 1 else 0.06)
        assert off[np.abs(true) < 30].max() < (0.2 if soft == 1 else 0.06)
        ring = (np.abs(true) < 20) & (np.abs(true) > 1)
        toward = np.stack([97.2 - y, 103.9 - x], -1) / np.hypot(y - 97.2, x - 103.9)[..., None]
        assert (o.inward * toward).sum(-1)[ring].min() > 0.97
    # Against every straight piece of a wavy outline, one by one.
    for _ in range(3):
        a = ndimage.gaussian_filter(rng.random((40, 40)), 3)
        a = ((a - a.min()) / np.ptp(a)).astype(np.float32)
        off = np.abs(np.abs(trace(a).distance) - slow_distance(a))
        assert off.max() < 0.5 and (off > 0.05).mean() < 0.005
    assert (trace(np.zeros((9, 9))).distance > 1e5).all() and (trace(np.ones((9, 9))).distance < -1e5).all()


def slow_distance(a, at=0.5):
    """Distance to the outline of marching squares without saddles, piece by piece."""
    pieces = []
    for y in range(a.shape[0] - 1):
        for x in range(a.shape[1] - 1):
            ring = [(y, x), (y, x + 1), (y + 1, x + 1), (y + 1, x)]
            cuts = []
            for (y0, x0), (y1, x1) in zip(ring, ring[1:] + ring[:1], strict=True):
                p, q = float(a[y0, x0]), float(a[y1, x1])
                if (p >= at) != (q >= at):
                    t = (at - p) / (q - p)
                    cuts.append((y0 + (y1 - y0) * t, x0 + (x1 - x0) * t))
            pieces += [(cuts[i], cuts[i + 1]) for i in range(0, len(cuts) - 1, 2)]
    y, x = np.mgrid[:a.shape[0], :a.shape[1]]
    best = np.full(a.shape, np.inf)
    for (y0, x0), (y1, x1) in pieces:
        ey, ex = y1 - y0, x1 - x0
        t = np.clip(((y - y0) * ey + (x - x0) * ex) / max(ey * ey + ex * ex, 1e-12), 0, 1)
        best = np.minimum(best, np.hypot(y - y0 - t * ey, x - x0 - t * ex))
    return best


@pytest.mark.parametrize("soft", [1.0, 6.0])
@pytest.mark.parametrize("by", [0.4, 3.5, 18.0, -0.4, -3.5, -18.0])
def test_grow_moves_a_circle_by_exactly_that_much(by, soft):
    out = run("grow", plain(circle(160, 42, soft=soft)), by=by).alpha
    want = circle(160, 42 + by, soft=soft)
    assert np.abs(out - want).max() < 0.12
    # Area of the ring: the outline itself is right to a few hundredths of a texel.
    assert math.sqrt(out.sum() / math.pi) == pytest.approx(math.sqrt(want.sum() / math.pi), abs=0.05)


def test_grow_fills_and_opens_like_a_disc():
    a = np.zeros((60, 60), np.float32)
    a[20:40, 20:40] = 1
    out = run("grow", plain(a), by=8).alpha
    assert out[30, 46] > 0.9 and out[30, 49] < 0.1
    assert out[13, 13] < 0.1 < out[15, 15]  # corners turn round: (7, 7) away is farther than 8
    thin = np.zeros((60, 60), np.float32)
    thin[:, 29:31] = 1
    assert run("grow", plain(thin), by=10).alpha[30, 22:38].min() > 0.99
    assert run("grow", plain(thin), by=-3).alpha.max() < 0.05
    half = run("grow", plain(a * 0.6), by=4).alpha  # what is half clear stays so
    assert half.max() == pytest.approx(0.6, abs=1e-6) and half[30, 42] == pytest.approx(0.6, abs=0.02)


@pytest.mark.parametrize("profile", ["smooth", "straight"])
def test_feather_falls_over_its_width_on_the_side_asked_for(profile):
    n, r, w = 160, 45.0, 16.0
    y, x = np.mgrid[:n, :n] + 0.5
    d = np.hypot(y - n / 2, x - n / 2) - r
    body = plain(circle(n, r))

    def ramp(t):
        t = np.clip(t, 0, 1)
        return t * t * (3 - 2 * t) if profile == "smooth" else t
    inside = run("feather", body, width=w, side="inside", profile=profile).alpha
    assert np.abs(inside - ramp(-d / w))[d < -1].max() < 0.02 and inside[d > 1].max() == 0
    outside = run("feather", body, width=w, side="outside", profile=profile).alpha
    assert np.abs(outside - ramp(1 - d / w))[d > 1].max() < 0.02 and outside[d < -1].min() == 1
    both = run("feather", body, width=w, side="both", profile=profile).alpha
    assert np.abs(both - ramp(0.5 - d / (2 * w)))[np.abs(d) > 1].max() < 0.03


def test_fall_off_by_hand():
    s = plain(np.ones((40, 80), np.float32))
    at = {"x": 0.1, "y": -0.2, "radius": 0.5, "stretch": 1.5, "angle": 30.0, "soft": 0.6, "profile": "straight"}
    for shape in ("radial", "box", "linear"):
        got = run("fall-off", s, shape=shape, how="replace", **at).alpha
        for y, x in ((5, 40), (12, 44), (20, 60), (30, 30), (39, 79), (11, 52)):
            dx, dy = x + 0.5 - 0.6 * 80, y + 0.5 - 0.3 * 40
            c, t = math.cos(math.radians(30)), math.sin(math.radians(30))
            u, v = (dx * c + dy * t) / 1.5, dy * c - dx * t
            r = 0.5 * 40
            d = {"radial": math.hypot(u, v), "box": max(abs(u), abs(v)), "linear": (v + r) / 2}[shape]
            assert got[y, x] == pytest.approx(min(max((r - d) / (0.6 * r), 0), 1), abs=1e-5)
    half = plain(np.full((40, 80), 0.5, np.float32))
    m = run("fall-off", s, how="replace").alpha
    assert np.allclose(run("fall-off", half, how="multiply").alpha, 0.5 * m, atol=1e-6)
    assert np.allclose(run("fall-off", half, how="subtract").alpha, np.clip(0.5 - m, 0, 1), atol=1e-6)
    assert np.allclose(run("fall-off", half, how="maximum", invert=True).alpha, np.maximum(0.5, 1 - m), atol=1e-6)
    assert np.allclose(run("fall-off", half, how="replace", amount=0.25).alpha, 0.5 + (m - 0.5) * 0.25, atol=1e-6)
    # Its centre counts from the pivot.
    moved = Surface(s.values, pivot=(0.75, 0.5))
    y, x = np.unravel_index(run("fall-off", moved, how="replace", radius=0.2).alpha.argmax(), (40, 80))
    assert abs(x + 0.5 - 60) <= 1 and abs(y + 0.5 - 20) <= 1


@pytest.mark.parametrize("sigma", [0.8, 3.0, 14.0])
@pytest.mark.parametrize("border", ["clamp", "wrap"])
def test_blur_is_scipys_gaussian(rng, sigma, border):
    a = ndimage.gaussian_filter(rng.random((120, 100)), 1.5).astype(np.float32)
    want = ndimage.gaussian_filter(a.astype(float), sigma, mode={"clamp": "nearest", "wrap": "wrap"}[border], truncate=6)
    assert np.abs(run("blur", plain(a), radius=sigma, border=border).alpha - want).max() < 3e-3


def test_blur_of_colour_lets_nothing_hidden_in():
    a = disc(96)
    v = rgba(np.ones((96, 96, 3)), a)
    v[a == 0, :3] = 0
    for what in ("colour", "both"):
        out = run("blur", Surface(v), what=what, radius=6)
        assert out.values[..., :3][out.alpha > 0.01].min() > 0.995
        assert np.array_equal(out.alpha, v[..., 3]) == (what == "colour")


# Frame -----------------------------------------------------------------------------------------------


def test_offset_centre_trim_and_pad(rng):
    v = rng.random((20, 30, 4)).astype(np.float32)
    assert np.array_equal(run("offset", Surface(v), x=7, y=-3).values, np.roll(v, (-3, 7), (0, 1)))
    clear = run("offset", Surface(v), x=7, y=-3, border="clear").values
    assert np.array_equal(clear[:17, 7:], v[3:, :23]) and clear[17:, :, 3].max() == 0 and clear[:, :7, 3].max() == 0
    held = run("offset", Surface(v), x=2, y=0, border="clamp").values
    assert np.array_equal(held[:, 0], v[:, 0]) and np.array_equal(held[:, 1], v[:, 0])
    a = np.zeros((40, 60), np.float32)
    a[4:12, 10:30], a[4:8, 10:20] = 0.5, 1.0
    # Centroid by hand: 40 texels of weight 1 and 120 of weight ½.
    cx = (40 * 15 + 0.5 * (80 * 20 + 40 * 25)) / 100
    cy = (40 * 6 + 0.5 * (80 * 10 + 40 * 6)) / 100
    pivot = run("centre", plain(a), do="pivot").pivot
    assert pivot == pytest.approx((cx / 60, cy / 40))
    moved = run("centre", plain(a), find="box").alpha
    assert np.array_equal(np.argwhere(moved).min(0), [16, 20]) and moved.sum() == a.sum()
    out = run("trim", plain(a), margin=3)
    assert out.alpha.shape == (14, 26) and np.array_equal(out.alpha[3:11, 3:23], a[4:12, 10:30])
    assert run("trim", plain(a), margin=0, above=0.6).alpha.shape == (4, 10)
    assert run("trim", plain(a), margin=1, square=True).alpha.shape == (22, 22)
    padded = run("pad", plain(a), left=1, right=2, top=3, bottom=4)
    assert padded.alpha.shape == (47, 63) and np.array_equal(padded.alpha[3:43, 1:61], a) and padded.alpha[:3].max() == 0
    assert run("pad", plain(a), to="square").alpha.shape == (60, 60)
    assert run("pad", plain(a), to="power").alpha.shape == (64, 64)
    # The pivot stays on the same texel, and the frame tells how its size has changed.
    back = run("pad", run("trim", Surface(plain(a).values, pivot=(0.25, 0.2)), margin=3), left=7, right=9, top=5, bottom=1)
    h, w = back.alpha.shape
    assert (back.pivot[0] * w, back.pivot[1] * h) == pytest.approx((15 - 7 + 7, 8 - 1 + 5))
    assert (back.extent[0] * 60, back.extent[1] * 40) == pytest.approx((w, h))


# Colour ------------------------------------------------------------------------------------------------


def test_gradient_map_tint_and_added_light_by_hand():
    v = np.array([[[0.0, 0.0, 0.0, 0.2], [0.25, 0.25, 0.25, 0.4], [0.6, 0.6, 0.6, 0.9], [1, 1, 1, 1]]], np.float32)
    ramp = ((0.0, (0.0, 0.0, 0.4)), (0.5, (1.0, 0.0, 0.0)), (1.0, (1.0, 1.0, 1.0)))
    out = run("gradient-map", Surface(v), ramp=ramp, take="red").values
    blue, red = srgb_decode(np.array([0, 0, 0.4])), srgb_decode(np.array([1.0, 0, 0]))
    assert out[0, 1, :3] == pytest.approx(srgb_encode((blue + red) / 2), abs=2e-3)
    assert out[0, 2, :3] == pytest.approx(srgb_encode(red * 0.8 + 0.2), abs=2e-3)
    assert np.array_equal(out[..., 3], v[..., 3])
    even = run("gradient-map", Surface(v), ramp=ramp, take="red", space="display", amount=0.5).values
    assert even[0, 1, :3] == pytest.approx((np.array([0.5, 0, 0.2]) + 0.25) / 2, abs=1e-4)
    tint = run("tint", Surface(v), colour=(0.5, 1.0, 0.0)).values
    assert tint[0, 2, :3] == pytest.approx([float(srgb_encode(srgb_decode(0.6) * srgb_decode(0.5))), 0.6, 0], abs=1e-5)
    add = run("add-tint", Surface(v), colour=(1.0, 0.5, 0.0), gain=0.4, mask="everywhere").values
    c = srgb_decode(0.6)
    assert add[0, 2, :3] == pytest.approx(srgb_encode(c + 0.4 * c * srgb_decode(np.array([1, 0.5, 0]))), abs=1e-5)
    assert np.array_equal(add[0, 0], v[0, 0])  # black takes none of it by brightness
    all_of_it = run("add-tint", Surface(v), colour=(1.0, 0.5, 0.0), gain=0.4, mask="everywhere", by_value=False).values
    assert all_of_it[0, 0, 0] == pytest.approx(srgb_encode(0.4), abs=1e-5)


def test_glow_screens_a_blurred_copy_and_hidden_colour_does_not_glow():
    even = Surface(np.full((32, 32, 4), 1, np.float32) * np.array([0.5, 0.5, 0.5, 1], np.float32))
    c = float(srgb_decode(0.5))
    out = run("glow", even, amount=0.7, radius=3).values
    assert np.abs(out[..., :3] - srgb_encode(1 - (1 - c) * (1 - 0.7 * c))).max() < 1e-4
    v = np.zeros((32, 32, 4), np.float32)
    v[..., :3] = 1  # white, hidden
    v[:, :16, :3], v[:, :16, 3] = 0.2, 1
    glowing = run("glow", Surface(v), amount=1, radius=4).values
    assert glowing[:, :16, :3].max() < 0.32 and np.array_equal(glowing[..., 3], v[..., 3])


def test_brush_strokes_are_soft_round_and_can_take_away():
    line = Stroke(points=((0.25, 0.5), (0.75, 0.5)), radius=0.2)
    got = brushed((line,), 40, 80)
    y, x = np.mgrid[:40, :80] + 0.5
    t = np.clip(1 - np.hypot(y - 20, x - np.clip(x, 20, 60)) / 8, 0, 1)
    assert np.abs(got - t * t * (3 - 2 * t)).max() < 1e-5
    dot = Stroke(points=((0.5, 0.5),), radius=0.1, erase=True)
    less = brushed((line, dot), 40, 80)
    assert less[20, 40] < 0.3 < got[20, 40] and less[20, 25] == got[20, 25]
    s = plain(np.ones((40, 80), np.float32))
    lit = run("add-tint", s, mask="brush", strokes=[line.model_dump()], gain=1.0).values
    changed = np.abs(lit[..., :3] - s.values[..., :3]).max(axis=-1) > 0
    assert (changed == (got > 1e-7)).mean() > 0.999


def test_normals_of_a_slope_and_of_a_repeating_wave():
    x = np.mgrid[:32, :64][1] / 64
    s = Surface(np.dstack([x * 0.5] * 3 + [np.ones_like(x)]).astype(np.float32))
    n = run("normal-from-height", s, strength=2.0).values
    slope = 0.5 / 64 * 2 * 8  # rise a texel × strength × 8
    want = np.array([-slope, 0, 1]) / math.hypot(slope, 1)
    assert n[16, 32, :3] * 2 - 1 == pytest.approx(want, abs=1e-5)
    assert run("normal-from-height", s, strength=-2.0).values[16, 32, 0] > 0.5
    y = np.mgrid[:64, :32][0] / 64
    down = Surface(np.dstack([1 - y] * 3 + [np.ones_like(y)]).astype(np.float32))  # high at the top: faces down
    up = run("normal-from-height", down, green="up").values[32, 16, 1]
    assert up < 0.5 and run("normal-from-height", down, green="down").values[32, 16, 1] == pytest.approx(1 - up, abs=1e-6)
    wave = (0.5 + 0.5 * np.sin(np.mgrid[:32, :32][1] / 32 * 2 * np.pi)).astype(np.float32)
    rolled = np.roll(wave, 16, 1)
    a, b = (run("normal-from-height", Surface(np.dstack([k] * 3 + [np.ones_like(k)])), border="wrap", blur=1.5).values
            for k in (wave, rolled))
    assert np.abs(np.roll(a, 16, 1) - b).max() < 1e-5
    assert run("normal-from-height", s).data and np.abs(np.linalg.norm(a[..., :3] * 2 - 1, axis=-1) - 1).max() < 1e-5


def test_channels_are_taken_packed_and_coloured():
    v = np.array([[[0.2, 0.6, 0.4, 0.3], [0.9, 0.1, 0.0, 0.8]]], np.float32)
    grey = run("take-channel", Surface(v), take="green")
    assert grey.values[0, 0].tolist() == pytest.approx([0.6, 0.6, 0.6, 1]) and grey.data
    assert run("take-channel", Surface(v), take="blue", alpha="same").alpha[0].tolist() == pytest.approx([0.4, 0])
    packed = run("pack", Surface(v), red={"take": "alpha"}, green={"take": "red", "invert": True},
                 blue={"take": "green", "low": 0.5, "high": 0.75}, alpha={"source": "value", "value": 0.25})
    assert packed.values[0, 0].tolist() == pytest.approx([0.3, 0.8, 0.4, 0.25], abs=1e-6) and packed.data
    by_file = run("pack", plain(np.ones((32, 32), np.float32)), red={"source": "file", "file": "m", "take": "luminance"})
    assert np.allclose(by_file.values[..., 0], MASK.values[..., 0], atol=1e-6)
    out = run("recolour", Surface(v, data=True), red=(1, 0, 0), green=(0, 0.5, 0), blue=(0, 0, 1), red_gain=0.5,
              green_gain=1.0, blue_gain=2.0, brightness=0.5, alpha="largest")
    want = srgb_encode(np.array([0.2 * 0.5, 0.6 * srgb_decode(0.5), 0.4 * 2]) * 0.5)
    assert out.values[0, 0, :3] == pytest.approx(want, abs=1e-5)
    assert out.alpha[0].tolist() == pytest.approx([0.6, 0.9]) and not out.data


# Edges ---------------------------------------------------------------------------------------------------


@pytest.mark.parametrize("reduce", [1, 2, 4, 8])
def test_signed_distance_holds_the_outline_of_a_circle_to_a_tenth_of_a_texel(reduce):
    n = 64 * reduce
    fine = circle(n, 0.3 * n, (0.49 * n, 0.52 * n))
    out = run("signed-distance", plain(fine), spread=8.0, reduce=reduce)
    assert out.alpha.shape == (64, 64) and out.spread == 8.0
    y, x = np.mgrid[:64, :64] + 0.5
    d = np.hypot(y - 0.49 * 64, x - 0.52 * 64) - 0.3 * 64
    assert np.abs(out.alpha - np.clip(0.5 - d / 16, 0, 1)).max() < 0.012
    mean, worst = outline_error(np.round(out.alpha * 255) / 255, fine)
    assert worst < 0.1 and mean < 0.04
    if reduce >= 4:
        small = cv2.resize(fine, (64, 64), interpolation=cv2.INTER_AREA)
        assert outline_error(small, fine)[0] > mean


# Repeating ------------------------------------------------------------------------------------------------


def slow_noise(x, y, nx, ny, seed, octave):
    """Gradient noise at one place, spelt out; lattice hashed and taken modulo the period."""
    def h(i, j):
        m = 0xFFFFFFFF
        v = ((i * 0x9E3779B1) & m) ^ ((j * 0x85EBCA77) & m) ^ ((seed * 1013 + octave * 7919) & m)
        v = ((v ^ (v >> 15)) * 0x2C1B3C6D) & m
        v = ((v ^ (v >> 12)) * 0x297A2D39) & m
        return v ^ (v >> 15)

    i, j = math.floor(x), math.floor(y)
    fx, fy = x - i, y - j

    def corner(a, b):
        t = (h((i + a) % nx, (j + b) % ny) & 15) * math.pi / 8
        return math.cos(t) * (fx - a) + math.sin(t) * (fy - b)

    ex, ey = (f ** 3 * (f * (f * 6 - 15) + 10) for f in (fx, fy))
    top = corner(0, 0) + (corner(1, 0) - corner(0, 0)) * ex
    low = corner(0, 1) + (corner(1, 1) - corner(0, 1)) * ex
    return (top + (low - top) * ey) * 1.4


def test_noise_is_its_slow_twin_and_repeats():
    p = Noise(cells=4, octaves=2, contrast=1.0, seed=9)
    got = noise_field(48, 48, p)
    for y, x in ((0, 0), (3, 47), (20, 20), (47, 11)):
        want = sum(0.5 ** o * slow_noise((x + 0.5) / 48 * (4 << o), (y + 0.5) / 48 * (4 << o), 4 << o, 4 << o, 9, o)
                   for o in range(2))
        assert got[y, x] == pytest.approx(min(max(want * 0.5 + 0.5, 0), 1), abs=1e-4)
    for form in ("clouds", "ridges", "grain"):
        q = Noise(form=form, cells=6 if form != "grain" else 128, octaves=3 if form != "grain" else 1, contrast=1.2, seed=4)
        f = noise_field(128, 128, q)
        v = Texture(np.dstack([f] * 3 + [np.ones_like(f)]))
        assert all(s.ratio < 1.6 for s in seams(v)) and f.std() > 0.05
        assert np.array_equal(f, noise_field(128, 128, q))
        assert np.abs(f - noise_field(128, 128, q.model_copy(update={"seed": 5}))).mean() > 0.05
    # The same pattern at every size: a proxy shows what will come.
    small, big = noise_field(64, 64, p), noise_field(256, 256, p)
    assert np.abs(cv2.resize(big, (64, 64), interpolation=cv2.INTER_AREA) - small).max() < 0.03
    s = plain(np.full((16, 16), 0.8, np.float32))
    n = noise_field(16, 16, Noise())
    assert np.allclose(run("noise", s).alpha, 0.8 * n, atol=1e-6)
    less = run("noise", s, into="subtract", amount=0.5).alpha
    assert np.allclose(less, 0.8 + (np.clip(0.8 - n, 0, 1) - 0.8) / 2, atol=1e-6)
    assert np.allclose(run("noise", s, into="colour").values[..., 1], n, atol=1e-6)


def test_make_tile_closes_the_seams_and_keeps_the_middle(rng):
    y, x = np.mgrid[:96, :128] / 128
    grain = ndimage.gaussian_filter(rng.random((96, 128)), 2)
    v = rgba(np.dstack([0.2 + 0.7 * x, 0.8 - 0.6 * y, 0.3 + grain]), 0.3 + 0.6 * x)
    before = seams(Texture(v))
    assert all(s.ratio > 5 for s in before)
    out = run("make-tile", Surface(v)).values
    assert all(s.ratio < 2 for s in seams(Texture(out)))
    assert np.abs(out[48, 64] - v[48, 64]).max() < 1e-5
    across = seams(Texture(run("make-tile", Surface(v), way="across").values))
    assert across[0].ratio < 2 < across[1].ratio


# Drawing ---------------------------------------------------------------------------------------------------


def test_coverage_is_exact():
    n = 500
    t = np.linspace(0, 2 * np.pi, n, endpoint=False)
    px, py = 20.3 + 13.7 * np.cos(t), 17.6 + 13.7 * np.sin(t)
    edges = np.stack([px, py, np.roll(px, -1), np.roll(py, -1)], axis=1)
    got = covered(edges, 40, 44)
    area = abs((px * np.roll(py, -1) - np.roll(px, -1) * py).sum()) / 2
    assert got.sum() == pytest.approx(area, rel=1e-6)
    sy, sx = (np.mgrid[:40 * 32, :44 * 32] + 0.5) / 32
    fine = np.hypot(sy - 17.6, sx - 20.3) < 13.7
    assert np.abs(fine.reshape(40, 32, 44, 32).mean(axis=(1, 3)) - got).max() < 0.01
    square = np.array([[2.25, 1.5, 5.5, 1.5], [5.5, 1.5, 5.5, 4.25], [5.5, 4.25, 2.25, 4.25], [2.25, 4.25, 2.25, 1.5]])
    box = covered(square, 6, 8)
    assert box[1, 2:6].tolist() == pytest.approx([0.375, 0.5, 0.5, 0.25]) and box[4, 3] == pytest.approx(0.25)
    assert box[2, 2:6].tolist() == pytest.approx([0.75, 1, 1, 0.5]) and box.sum() == pytest.approx(3.25 * 2.75)
    past = covered(square - np.array([4, 0, 4, 0]), 6, 8)  # cut by the border
    assert past.sum() == pytest.approx(1.5 * 2.75)


def test_text_is_drawn_at_any_size_and_cut_out_and_outlined():
    areas = [covered(text_edges("NR-04", "semibold", size) + np.tile([300, 100], 2), 200, 600).sum() / size ** 2
             for size in (30.0, 60.0, 120.0)]
    assert areas[0] == pytest.approx(areas[2], rel=1e-3) and areas[1] == pytest.approx(areas[2], rel=1e-3)
    blank = Surface(np.zeros((128, 256, 4), np.float32))
    out = run("text", blank, text="I", size=0.5, colour=(0.9, 0.6, 0.2))
    ys, xs = np.nonzero(out.alpha > 0.5)
    assert abs((xs.min() + xs.max() + 1) / 2 - 128) <= 1 and abs((ys.min() + ys.max() + 1) / 2 - 64) <= 1
    assert ys.max() + 1 - ys.min() == pytest.approx(0.727 * 64, abs=1.5)  # height of capitals
    assert np.abs(out.values[..., :3] - [0.9, 0.6, 0.2]).max() < 1e-3  # nothing foreign under clear texels either
    wide = run("text", blank, text="I", size=0.5, outline=5.0)
    assert math.isclose(np.nonzero(wide.alpha > 0.5)[1].max() - xs.max(), 5, abs_tol=1)
    full = plain(np.ones((128, 256), np.float32))
    cut = run("text", full, text="I", size=0.5, how="cut").alpha
    assert np.abs(cut + out.alpha - 1).max() < 1e-5
    two = run("text", blank, text="I|I", size=0.2).alpha
    rows = np.nonzero((two > 0.5).any(axis=1))[0]
    assert np.diff(rows).max() > 5  # two lines with room between
    turned = run("text", blank, text="I", size=0.5, angle=90).alpha
    assert np.ptp(np.nonzero(turned > 0.5)[0]) < np.ptp(np.nonzero(turned > 0.5)[1])


def test_svg_is_drawn_with_right_coverage_and_colour(tmp_path):
    path = tmp_path / "a.svg"
    path.write_text('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 64 32"><circle cx="32" cy="16" r="11.3" '
                    'fill="#c08040"/></svg>')
    drawn = draw_svg(path, 128, 128)
    assert drawn[..., 3].sum() == pytest.approx(math.pi * 22.6 ** 2, rel=2e-3)
    assert np.abs(drawn[..., 3] - circle(128, 22.6)).max() < 0.12
    assert drawn[64, 64, :3] == pytest.approx([0xc0 / 255, 0x80 / 255, 0x40 / 255], abs=3e-3)
    blank = Surface(np.zeros((64, 64, 4), np.float32))
    context = Context(lambda p: MASK, lambda p: str(tmp_path / p))
    step = STEPS["shape"]
    out = step.run(blank, step.params(step="shape", file="a.svg", size=1.0, x=0.25), context)
    xs = np.nonzero(out.alpha > 0.5)[1]
    assert abs((xs.min() + xs.max() + 1) / 2 - 48) <= 1
    assert np.abs(out.values[..., :3] - drawn[64, 64, :3]).max() < 0.01  # the same colour under clear texels
    one = step.run(blank, step.params(step="shape", file="a.svg", colours="one", colour=(0.1, 0.2, 0.3)), context)
    assert one.values[32, 32, :3] == pytest.approx([0.1, 0.2, 0.3], abs=2e-3)


def test_paint_does_not_leak_through_the_frame_of_a_keyed_photograph():
    """The usual first minutes: key, shrink a little, feather, trim; the edge holds nothing of the backdrop."""
    alpha = disc(200, 0.3, 0.02)
    key = (0.15, 0.6, 0.25)
    photo = Surface(rgba(cut_from(paint(200) * [0.9, 0.25, 0.9] + [0.05, 0, 0.05], alpha, key), np.ones((200, 200))),
                    has_alpha=False)
    keyed = run("key-colour", photo, key=key, near=0.05, far=0.3)
    out = run("trim", run("feather", run("grow", keyed, by=-1.5), width=2), margin=4)
    assert out.alpha.shape[0] < 150 and out.alpha[0].max() == 0
    spill = out.values[..., 1] - np.maximum(out.values[..., 0], out.values[..., 2])
    assert spill[out.alpha > 0.05].max() < 0.12

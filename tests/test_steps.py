"""Every further step against values worked out independently: analytic shapes, plain arithmetic, SciPy, slow twins."""

import math

import numpy as np
import pytest
from scipy import ndimage
from sprites import cut_from, disc, rgba, srgb_decode
from stepping import circle, plain, run

from mivex.core.pixels.nearest import nearest
from mivex.core.pixels.outline import trace
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Surface

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
    y, x = np.mgrid[: a.shape[0], : a.shape[1]]
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

"""Steps of colour, edges, repetition and drawing against values worked out independently."""

import math

import cv2
import numpy as np
import pytest
from scipy import ndimage
from sprites import cut_from, disc, paint, rgba, srgb_decode, srgb_encode
from stepping import MASK, circle, plain, run

from mivex.core.picture.lettering import covered, text_edges
from mivex.core.picture.svg import draw_svg
from mivex.core.picture.texture import Texture
from mivex.core.pixels.outline import outline_error
from mivex.core.prepare import STEPS
from mivex.core.prepare.base import Context, Surface
from mivex.core.prepare.falloff import Stroke, brushed
from mivex.core.prepare.tiling import Noise, noise_field, seams

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
    a, b = (
        run("normal-from-height", Surface(np.dstack([k] * 3 + [np.ones_like(k)])), border="wrap", blur=1.5).values
        for k in (wave, rolled)
    )
    assert np.abs(np.roll(a, 16, 1) - b).max() < 1e-5
    assert run("normal-from-height", s).data and np.abs(np.linalg.norm(a[..., :3] * 2 - 1, axis=-1) - 1).max() < 1e-5


def test_channels_are_taken_packed_and_coloured():
    v = np.array([[[0.2, 0.6, 0.4, 0.3], [0.9, 0.1, 0.0, 0.8]]], np.float32)
    grey = run("take-channel", Surface(v), take="green")
    assert grey.values[0, 0].tolist() == pytest.approx([0.6, 0.6, 0.6, 1]) and grey.data
    assert run("take-channel", Surface(v), take="blue", alpha="same").alpha[0].tolist() == pytest.approx([0.4, 0])
    packed = run(
        "pack",
        Surface(v),
        red={"take": "alpha"},
        green={"take": "red", "invert": True},
        blue={"take": "green", "low": 0.5, "high": 0.75},
        alpha={"source": "value", "value": 0.25},
    )
    assert packed.values[0, 0].tolist() == pytest.approx([0.3, 0.8, 0.4, 0.25], abs=1e-6) and packed.data
    by_file = run("pack", plain(np.ones((32, 32), np.float32)), red={"source": "file", "file": "m", "take": "luminance"})
    assert np.allclose(by_file.values[..., 0], MASK.values[..., 0], atol=1e-6)
    out = run(
        "recolour",
        Surface(v, data=True),
        red=(1, 0, 0),
        green=(0, 0.5, 0),
        blue=(0, 0, 1),
        red_gain=0.5,
        green_gain=1.0,
        blue_gain=2.0,
        brightness=0.5,
        alpha="largest",
    )
    want = srgb_encode(np.array([0.2 * 0.5, 0.6 * srgb_decode(0.5), 0.4 * 2]) * 0.5)
    assert out.values[0, 0, :3] == pytest.approx(want, abs=1e-5)
    assert out.alpha[0].tolist() == pytest.approx([0.6, 0.9]) and not out.data


# Edges ---------------------------------------------------------------------------------------------------


@pytest.mark.parametrize("reduce", [1, 2, 4, 8])
def test_signed_distance_holds_the_outline_of_a_circle_to_a_tenth_of_a_texel(reduce):
    n = 64 * reduce
    fine = circle(n, 0.3 * n, (0.49 * n, 0.52 * n))
    out = run("signed-distance", plain(fine), spread=8.0, reduce=reduce)
    assert out.alpha.shape == (64, 64) and out.distance == 8.0
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

    ex, ey = (f**3 * (f * (f * 6 - 15) + 10) for f in (fx, fy))
    top = corner(0, 0) + (corner(1, 0) - corner(0, 0)) * ex
    low = corner(0, 1) + (corner(1, 1) - corner(0, 1)) * ex
    return (top + (low - top) * ey) * 1.4


def test_noise_is_its_slow_twin_and_repeats():
    p = Noise(cells=4, octaves=2, contrast=1.0, seed=9)
    got = noise_field(48, 48, p)
    for y, x in ((0, 0), (3, 47), (20, 20), (47, 11)):
        want = sum(
            0.5**o * slow_noise((x + 0.5) / 48 * (4 << o), (y + 0.5) / 48 * (4 << o), 4 << o, 4 << o, 9, o)
            for o in range(2)
        )
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
    sy, sx = (np.mgrid[: 40 * 32, : 44 * 32] + 0.5) / 32
    fine = np.hypot(sy - 17.6, sx - 20.3) < 13.7
    assert np.abs(fine.reshape(40, 32, 44, 32).mean(axis=(1, 3)) - got).max() < 0.01
    square = np.array([[2.25, 1.5, 5.5, 1.5], [5.5, 1.5, 5.5, 4.25], [5.5, 4.25, 2.25, 4.25], [2.25, 4.25, 2.25, 1.5]])
    box = covered(square, 6, 8)
    assert box[1, 2:6].tolist() == pytest.approx([0.375, 0.5, 0.5, 0.25]) and box[4, 3] == pytest.approx(0.25)
    assert box[2, 2:6].tolist() == pytest.approx([0.75, 1, 1, 0.5]) and box.sum() == pytest.approx(3.25 * 2.75)
    past = covered(square - np.array([4, 0, 4, 0]), 6, 8)  # cut by the border
    assert past.sum() == pytest.approx(1.5 * 2.75)


def test_text_is_drawn_at_any_size_and_cut_out_and_outlined():
    areas = [
        covered(text_edges("NR-04", "semibold", size) + np.tile([300, 100], 2), 200, 600).sum() / size**2
        for size in (30.0, 60.0, 120.0)
    ]
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
    path.write_text(
        '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 64 32"><circle cx="32" cy="16" r="11.3" '
        'fill="#c08040"/></svg>'
    )
    drawn = draw_svg(path, 128, 128)
    assert drawn[..., 3].sum() == pytest.approx(math.pi * 22.6**2, rel=2e-3)
    assert np.abs(drawn[..., 3] - circle(128, 22.6)).max() < 0.12
    assert drawn[64, 64, :3] == pytest.approx([0xC0 / 255, 0x80 / 255, 0x40 / 255], abs=3e-3)
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
    photo = Surface(
        rgba(cut_from(paint(200) * [0.9, 0.25, 0.9] + [0.05, 0, 0.05], alpha, key), np.ones((200, 200))), has_alpha=False
    )
    keyed = run("key-colour", photo, key=key, near=0.05, far=0.3)
    out = run("trim", run("feather", run("grow", keyed, by=-1.5), width=2), margin=4)
    assert out.alpha.shape[0] < 150 and out.alpha[0].max() == 0
    spill = out.values[..., 1] - np.maximum(out.values[..., 0], out.values[..., 2])
    assert spill[out.alpha > 0.05].max() < 0.12

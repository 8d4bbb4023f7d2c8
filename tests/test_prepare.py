"""Preparation steps against values worked out by hand, and properties every step must keep."""

from typing import Literal, get_args, get_origin

import numpy as np
import pytest
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from pydantic import BaseModel
from scipy import ndimage
from sprites import cut_from, disc, paint, rgba, srgb_decode, srgb_encode

from mivex.core.picture.picture import Picture
from mivex.core.prepare import STEPS
from mivex.core.prepare.alpha_from import AlphaFrom
from mivex.core.prepare.base import Context, Surface
from mivex.core.prepare.clear_border import ClearBorder
from mivex.core.prepare.levels import Levels
from mivex.core.prepare.premultiply import Premultiply
from mivex.core.prepare.resize import Resize
from mivex.core.prepare.spread import Spread
from mivex.core.prepare.unmatte import Unmatte
from mivex.core.project.document import Overlay, Source
from mivex.core.project.evaluate import PROXY_SIDE, Evaluator

MASK = Picture(
    np.dstack([np.tile(np.linspace(0, 1, 8), (8, 1))] * 3 + [np.ones((8, 8))]).astype(np.float32), has_alpha=False
)
CONTEXT = Context(lambda path: MASK)


def run(params, surface):
    return STEPS[params.step].run(surface, params, CONTEXT)


def test_alpha_from_every_source():
    texel = Surface(np.array([[[0.2, 0.6, 0.4, 0.3]]], np.float32))
    lum = 0.2126 * 0.2 + 0.7152 * 0.6 + 0.0722 * 0.4
    linear = 0.2126 * srgb_decode(0.2) + 0.7152 * srgb_decode(0.6) + 0.0722 * srgb_decode(0.4)
    for source, want in {"luminance": lum, "largest": 0.6, "red": 0.2, "green": 0.6, "blue": 0.4, "alpha": 0.3}.items():
        out = run(AlphaFrom(source=source), texel)
        assert out.alpha[0, 0] == pytest.approx(want, abs=1e-6)
        assert np.array_equal(out.values[..., :3], texel.values[..., :3])
    assert run(AlphaFrom(source="luminance", space="linear"), texel).alpha[0, 0] == pytest.approx(linear, abs=1e-6)
    # Over a matte of (0.5, 0.5, 0.5): red falls by 0.3 of 0.5, green rises by 0.1 of 0.5.
    out = run(AlphaFrom(source="matte", matte=(0.5, 0.5, 0.5)), texel)
    assert out.values[0, 0].tolist() == pytest.approx([0.0, 0.5 + 0.1 / 0.6, 0.5 - 0.1 / 0.6, 0.6], abs=1e-6)
    wide = Surface(np.ones((4, 16, 4), np.float32))
    mask = run(AlphaFrom(source="file", file="m.png"), wide).alpha
    assert mask.shape == (4, 16) and np.all(np.diff(mask[0]) >= 0) and mask[0, 0] < 0.05 and mask[0, -1] > 0.95


@pytest.mark.parametrize("space", ["display", "linear"])
@pytest.mark.parametrize("matte", [(0, 0, 0), (1, 1, 1), (0.1, 0.7, 0.2)])
def test_matte_removal_recovers_a_known_picture(space, matte):
    alpha, rgb = disc(), paint()
    # One channel as far from the matte as it goes, so that the smallest alpha is the true one.
    k = int(np.argmax(np.maximum(matte, 1 - np.array(matte))))
    rgb[..., k] = 1.0 if matte[k] < 0.5 else 0.0
    cut = cut_from(rgb, alpha, matte, space)
    seen = alpha > 0.1
    out = run(AlphaFrom(source="matte", matte=matte, space=space), Surface(rgba(cut, np.ones_like(alpha))))
    assert np.abs(out.alpha - alpha)[seen].max() < 1 / 255
    assert np.abs(out.values[..., :3] - rgb)[seen].max() < 1 / 255
    out = run(Unmatte(matte=matte, space=space), Surface(rgba(cut, alpha)))
    assert np.abs(out.values[..., :3] - rgb)[seen].max() < 1 / 255
    assert np.array_equal(out.values[alpha == 0, :3], rgba(cut, alpha)[alpha == 0, :3])
    half = rgb + 0.5 * (1 - alpha[..., None]) * (np.array(matte) - rgb)
    out = run(Unmatte(matte=matte, share=0.5), Surface(rgba(half, alpha)))
    assert np.abs(out.values[..., :3] - rgb)[seen].max() < 1 / 255


def test_levels_by_hand():
    v = np.array([[[0.5, 0.5, 0.5, a] for a in (0.0, 0.2, 0.5, 0.8, 1.0)]], np.float32)
    p = Levels(black=0.2, white=0.8, gamma=2.0, out_black=0.1, out_white=0.9)
    want = [0.1, 0.1, 0.1 + 0.8 * 0.5**0.5, 0.9, 0.9]
    assert run(p, Surface(v)).alpha[0].tolist() == pytest.approx(want, abs=1e-6)
    green = run(Levels(channel="green", black=0.4, white=0.6), Surface(v)).values
    assert np.allclose(green[..., 1], 0.5, atol=1e-6) and np.array_equal(green[..., [0, 2, 3]], v[..., [0, 2, 3]])
    assert run(Levels(black=0.5, white=0.5), Surface(v)).alpha[0].tolist() == [0, 0, 1, 1, 1]


def test_spread_takes_the_nearest_colour_and_leaves_trusted_texels_alone(rng):
    alpha = (rng.random((60, 70)) > 0.97).astype(np.float32) * rng.random((60, 70)).astype(np.float32)
    v = rgba(rng.random((60, 70, 3)), alpha)
    out = run(Spread(), Surface(v)).values
    seen = alpha > 0
    assert np.array_equal(out[seen], v[seen]) and np.array_equal(out[..., 3], v[..., 3])
    exact = ndimage.distance_transform_edt(~seen)
    y, x = np.mgrid[:60, :70]
    # The colour is that of some seen texel whose distance is the least, to within the transform's 2 %.
    keys = {tuple(c): p for c, p in zip(v[seen, :3].tolist(), np.argwhere(seen).tolist(), strict=True)}
    found = np.array([[keys[tuple(c)] for c in row] for row in out[..., :3].tolist()])
    distance = np.hypot(found[..., 0] - y, found[..., 1] - x)
    assert (distance <= exact * 1.02 + 0.01).all()
    assert (distance <= exact + 1e-6).mean() > 0.97
    near = run(Spread(reach=5), Surface(v)).values
    assert np.array_equal(near[exact > 5.2], v[exact > 5.2])
    assert np.array_equal(near[(exact < 4.9)], out[exact < 4.9])


def test_spread_smooth_mean_and_trust():
    n = 64
    alpha = np.zeros((n, n), np.float32)
    alpha[16:48, 16:32], alpha[16:48, 32:48] = 1.0, 0.25
    v = np.zeros((n, n, 4), np.float32)
    v[16:48, 16:32, :3], v[16:48, 32:48, :3], v[..., 3] = (0.8, 0.2, 0.2), (0.2, 0.2, 0.8), alpha
    mean = run(Spread(method="mean"), Surface(v)).values[0, 0, :3]
    want = srgb_encode((srgb_decode([0.8, 0.2, 0.2]) * 1 + srgb_decode([0.2, 0.2, 0.8]) * 0.25) / 1.25)
    assert mean == pytest.approx(want, abs=1e-5)
    smooth = run(Spread(method="smooth"), Surface(v)).values
    assert np.array_equal(smooth[alpha > 0], v[alpha > 0])
    left, right = smooth[32, 4, :3], smooth[32, 59, :3]
    assert left[0] > left[2] and right[2] > right[0]
    # Every filled colour is an average of the two: on the line between them, in linear light.
    filled = srgb_decode(smooth[alpha == 0, :3])
    ends = srgb_decode([0.2, 0.8])
    assert filled[:, 0] + filled[:, 2] == pytest.approx(ends.sum(), abs=1e-4)
    one = run(
        Spread(method="smooth"), Surface(np.where(v[..., 3:] > 0, np.append([0.3, 0.6, 0.9], 1), 0).astype(np.float32))
    ).values
    assert np.abs(one[..., :3] - [0.3, 0.6, 0.9]).max() < 1e-5
    assert np.abs(np.diff(smooth[4, :, 0])).max() < 0.12  # no seams far from the shape
    trust = run(Spread(solid_from=0.5), Surface(v)).values
    assert trust[32, 40, :3] == pytest.approx([0.8, 0.2, 0.2], abs=1e-6)


def test_resize_of_white_on_black_leaves_no_darkening():
    alpha = disc(96)
    v = rgba(np.ones((96, 96, 3)), alpha)
    v[alpha == 0, :3] = 0
    for kind in ("area", "lanczos"):
        out = run(Resize(to="power", filter=kind), Surface(v)).values
        assert out.shape == (128, 128, 4)
        small = run(Resize(to="size", width=40, height=40, filter=kind), Surface(v)).values
        for image in (out, small):
            shown = image[..., 3:] * (1 - srgb_decode(image[..., :3]))
            assert srgb_encode(shown.max()) * 255 <= 1


def test_clear_border_and_premultiply():
    ones = Surface(np.ones((32, 32, 4), np.float32))
    out = run(ClearBorder(width=2, soft=3), ones).alpha
    assert (out[[0, 1, -1, -2]] == 0).all() and out[16, 16] == 1 and out[16, 5] == 1
    assert 0 < out[16, 2] < out[16, 3] < out[16, 4] < 1
    half = Surface(np.full((2, 2, 4), 0.5, np.float32))
    once = run(Premultiply(), half)
    assert once.values[0, 0, 0] == pytest.approx(float(srgb_encode(srgb_decode(0.5) * 0.5)), abs=1e-6)
    assert run(Premultiply(), once) is once


IDENTITIES = [
    {"step": "alpha-from", "source": "alpha"},
    {"step": "levels"},
    {"step": "unmatte", "share": 0},
    {"step": "clear-border", "width": 0, "soft": 0},
    {"step": "resize", "to": "size"},
    {"step": "spread", "solid_from": 1e-9},
    {"step": "combine", "amount": 0},
    {"step": "curve"},
    {"step": "grow", "by": 0},
    {"step": "feather", "width": 0},
    {"step": "fall-off", "amount": 0},
    {"step": "blur", "radius": 0},
    {"step": "offset"},
    {"step": "pad", "left": 0, "right": 0, "top": 0, "bottom": 0},
    {"step": "trim", "margin": 0},
    {"step": "centre", "do": "pivot"},
    {"step": "gradient-map", "amount": 0},
    {"step": "tint"},
    {"step": "tint", "amount": 0, "colour": (0.2, 0.3, 0.4)},
    {"step": "add-tint", "gain": 0},
    {"step": "glow", "amount": 0},
    {"step": "pack"},
    {"step": "make-tile", "band": 0},
    {"step": "noise", "amount": 0},
    {"step": "text", "text": " "},
    {"step": "shape"},
    {"step": "keep-coverage"},
    {"step": "alpha-from", "source": "file"},
]


@pytest.mark.parametrize("settings", IDENTITIES, ids=lambda p: p["step"])
def test_an_identity_setting_is_bit_exact(settings, rng):
    v = (rng.random((9, 12, 4)) * 0.999 + 0.001).astype(np.float32)
    step = STEPS[settings["step"]]
    assert np.array_equal(step.run(Surface(v), step.params.model_validate(settings), CONTEXT).values, v)
    assert np.array_equal(
        run(STEPS["invert-alpha"].params(step="invert-alpha"), Surface(np.round(v * 4) / 4)).alpha,
        1 - np.round(v * 4)[..., 3] / 4,
    )


unit = st.floats(0, 1, width=32)
colour = st.tuples(unit, unit, unit)
RISING = st.lists(st.integers(0, 100), min_size=2, max_size=5, unique=True).map(sorted)
SPECIAL = {
    "points": RISING.flatmap(lambda xs: st.tuples(*[st.tuples(st.just(x / 100), unit) for x in xs])),
    "ramp": RISING.flatmap(lambda xs: st.tuples(*[st.tuples(st.just(x / 100), colour) for x in xs])),
    "strokes": st.lists(
        st.fixed_dictionaries(
            {"points": st.lists(st.tuples(unit, unit), max_size=4), "radius": st.floats(0.01, 1), "erase": st.booleans()}
        ),
        max_size=3,
    ),
    "file": st.sampled_from(["", "m"]),
    "text": st.sampled_from(["", "a", "NR|04", "Å"]),
    "name": st.just("Clean pane"),
}


def values_for(model, key, info):
    """Any value that a setting allows, of a size that a small picture bears."""
    if key in SPECIAL:
        return st.just("") if model.__name__ == "Shape" and key == "file" else SPECIAL[key]
    if get_origin(info.annotation) is Literal:
        return st.sampled_from(get_args(info.annotation))
    if info.annotation is bool:
        return st.booleans()
    if isinstance(info.annotation, type) and issubclass(info.annotation, BaseModel):
        return st.fixed_dictionaries(
            {k: values_for(info.annotation, k, i) for k, i in info.annotation.model_fields.items()}
        )
    if info.annotation in (int, float):
        low = max([float(m.ge) for m in info.metadata if hasattr(m, "ge")] or [0.0])
        high = min([float(m.le) for m in info.metadata if hasattr(m, "le")] or [1.0])
        low, high = max(low, -12.0), min(high, 12.0)
        return st.integers(int(low), int(high)) if info.annotation is int else st.floats(low, high)
    return colour


def any_settings(step):
    return st.fixed_dictionaries(
        {"step": st.just(step.name)}
        | {k: values_for(step.params, k, i) for k, i in step.params.model_fields.items() if k not in ("step", "on")}
    )


RESIZES = {"resize", "trim", "pad", "signed-distance"}


@pytest.mark.parametrize("step", STEPS.values(), ids=list(STEPS))
@settings(max_examples=25, deadline=None, suppress_health_check=list(HealthCheck))
@given(data=st.data())
def test_every_step_keeps_shape_and_ranges_and_its_input(step, data):
    params = step.params.model_validate(data.draw(any_settings(step)))
    h, w = data.draw(st.integers(1, 9)), data.draw(st.integers(1, 9))
    v = np.round(np.random.default_rng(data.draw(st.integers(0, 99))).random((h, w, 4)) * 4).astype(np.float32) / 4
    kept = v.copy()
    out = step.run(Surface(v, data=data.draw(st.booleans())), params, CONTEXT)
    assert out.values.dtype == np.float32 and out.values.shape[2] == 4 and np.array_equal(v, kept)
    assert step.name in RESIZES or out.values.shape == (h, w, 4)
    assert np.isfinite(out.values).all() and out.values.min() >= 0 and out.values.max() <= 1
    # It is the same recipe after a trip through a file.
    again = step.params.model_validate_json(params.model_dump_json())
    assert again == params


def test_a_proxy_shows_what_full_size_will(rng):
    big = np.zeros((2 * PROXY_SIDE, 2 * PROXY_SIDE, 4), np.float32)
    big[600:1400, 500:1500] = 1
    evaluator, overlay = Evaluator(), Overlay(name="a", source=Source(meaning="colour"))
    steps = (ClearBorder(width=40, soft=8), Spread(reach=64))
    full = evaluator.prepare(Picture(big), overlay.source, steps)
    proxy = evaluator.prepare(Picture(big), overlay.source, steps, proxy=True)
    assert (proxy.width, proxy.scale, proxy.full_size) == (PROXY_SIDE, 0.5, (2 * PROXY_SIDE,) * 2)
    small = full.values.reshape(PROXY_SIDE, 2, PROXY_SIDE, 2, 4).mean(axis=(1, 3))
    assert np.abs(small - proxy.values).mean() < 0.01
    assert evaluator.prepare(Picture(big), overlay.source, steps) is full

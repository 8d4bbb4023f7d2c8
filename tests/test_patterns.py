"""Patterns: each repeats and is the same at every size; holes take their share."""

import math

import cv2
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from mivex.core.layers.laying import pattern_laid
from mivex.core.layers.model import ChannelSource, UvTransform
from mivex.core.layers.patterns import PATTERNS
from mivex.core.layers.patterns.regular import Perforation

ONE_WAY = {"ramp": {"way": "back"}}
"""Patterns that by their nature do not meet themselves are asked for in the way that does."""


@pytest.mark.parametrize("name", PATTERNS)
def test_a_pattern_repeats_and_is_the_same_at_every_size(name):
    p = PATTERNS[name]
    q = p.params.model_validate({"kind": name, **ONE_WAY.get(name, {})})
    small, large = p.draw(q, 512, 512), p.draw(q, 2048, 2048)
    assert small.dtype == np.float32 and small.min() >= 0 and small.max() <= 1 and np.ptp(small) > 0.1
    assert np.array_equal(small, p.draw(q, 512, 512))
    off = np.abs(small - cv2.resize(large, (512, 512), interpolation=cv2.INTER_AREA))
    assert off.mean() < 0.008 and np.percentile(off, 99.9) < 0.25
    # The step over the seam against the steps between neighbouring lines inside: no line stands out.
    for axis in (0, 1):
        inside = np.abs(np.diff(small, axis=axis)).mean(axis=1 - axis)
        over = np.abs(np.take(small, 0, axis) - np.take(small, -1, axis)).mean()
        assert over <= 1.1 * max(float(inside.max()), 1e-6)
    if "seed" in type(q).model_fields and name not in ("ramp",):
        other = p.draw(q.model_copy(update={"seed": 5}), 512, 512)
        assert np.abs(other - small).mean() > 1e-4
    wide = p.draw(q, 96, 192)
    assert wide.shape == (96, 192) and np.isfinite(wide).all()
    assert PATTERNS[name].params.model_validate(q.model_dump(mode="json")) == q


@given(
    st.sampled_from(["round", "square", "slot"]),
    st.sampled_from(["staggered", "square"]),
    st.integers(3, 20),
    st.floats(0.2, 0.8),
    st.floats(0, 1),
)
@settings(max_examples=25, deadline=None)
def test_the_holes_take_their_share(hole, lay, spacing, size, corner):
    p = Perforation(hole=hole, lay=lay, spacing=spacing, size=size, corner=corner)
    got = float(PATTERNS["perforation"].draw(p, 512, 640).mean())
    nx, ny = p.lattice(512, 640)
    pitch = 640 / nx
    a = size * pitch / 2
    b = a * p.long if hole == "slot" else a
    # Worked out anew: a circle, or a rectangle with its four corners rounded.
    area = math.pi * a * a if hole == "round" else 4 * a * b - (4 - math.pi) * (corner * min(a, b)) ** 2
    rows_apart = 512 / ny
    if b * 2 < rows_apart and a * 2 < pitch:
        assert abs(got - area * nx * ny / (512 * 640)) < 0.01 * max(got, 0.05)
        assert abs(got - p.share(512, 640)) < 0.01 * max(got, 0.05)


@pytest.mark.parametrize("kind", ["clouds", "smears", "crystals"])
def test_cover_is_the_share_that_it_says(kind):
    """The mean of what is drawn (smears: what is above a quarter), at any seed, shape and size."""
    extra = {"seen": "cover"} if kind == "crystals" else {}
    for h, w in ((256, 256), (256, 384), (320, 1280), (301, 433)):
        for share in (0.0, 0.05, 0.3, 0.62, 0.9, 1.0):
            p = PATTERNS[kind].params(kind=kind, cover=share, seed=17 + h, **extra)
            v = PATTERNS[kind].draw(p, h, w)
            found = float((v > 0.25).mean() if kind == "smears" else v.mean())
            assert abs(found - share) < 0.03, (h, w, share, found)


@pytest.mark.parametrize("kind", sorted(PATTERNS))
def test_a_pattern_is_the_same_small_at_every_shape(kind):
    keep = lambda _key, make: make()  # noqa: E731
    p = PATTERNS[kind].params(kind=kind)
    sizes = ((600, 900), (200, 300)), ((900, 600), (301, 201)), ((200, 800), (67, 267)), ((510, 340), (255, 170))
    for (h, w), (sh, sw) in sizes:
        large, small = (pattern_laid(p, UvTransform(), size, keep) for size in ((h, w), (sh, sw)))
        want = cv2.resize(large, (sw, sh), interpolation=cv2.INTER_AREA)
        assert np.abs(small - want).mean() < 0.02, (h, w)


def test_a_new_layer_through_a_pattern_touches_what_such_a_thing_changes():
    cells = {k: {c: v.get("number", v.get("colour")) for c, v in p.cells.items()} for k, p in PATTERNS.items()}
    assert all(cells.values())
    assert set(cells["droplets"]) == {"roughness", "height"} and cells["droplets"]["roughness"] < 0.1
    assert set(cells["scratches"]) == {"roughness", "opacity"} and cells["scratches"]["opacity"] < 0.2
    assert min(cells["dust"]["colour"]) > 0.6 and cells["dust"]["roughness"] > 0.9
    assert cells["wear"] == cells["perforation"] == {"opacity": 0.0}
    for p in PATTERNS.values():
        for channel, cell in p.cells.items():
            assert set(cell) <= set(ChannelSource.model_fields) and ChannelSource.model_validate(dict(cell)), (
                p.name,
                channel,
            )

"""Patterns: each repeats and is the same at every size; holes take their share."""

import math

import cv2
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

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

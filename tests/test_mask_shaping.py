"""Masks that are blurred, grown, turned into a distance and warped, against slow twins; and what they read besides."""

import numpy as np
import pytest
from scipy.ndimage import gaussian_filter
from stacks import stacked, surface

from mivex.core.layers.masks import Values
from mivex.core.layers.model import Shaping
from mivex.core.layers.shaping import distance, grown, shaped, warped
from mivex.core.picture.encode import write_picture
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.layering import EvaluationRequest
from mivex.core.project.looking import planes_below, view_texture


def disc(side=(96, 144), at=(0.5, 0.4), radius=0.25):
    h, w = side
    y, x = (np.mgrid[:h, :w] + 0.5) / min(side)
    d = np.hypot(x - at[0] * w / min(side), y - at[1] * h / min(side)) - radius
    return np.clip(0.5 - d * min(side), 0, 1).astype(np.float32), d


def slow_disc(v, r, goes_round):
    """The largest within a radius, by looking at every texel of it."""
    out = np.zeros_like(v)
    wide = np.pad(v, r, mode="wrap" if goes_round else "edge")
    for dy in range(-r, r + 1):
        for dx in range(-r, r + 1):
            if dx * dx + dy * dy <= r * r:
                np.maximum(out, wide[r + dy : r + dy + v.shape[0], r + dx : r + dx + v.shape[1]], out=out)
    return out


@pytest.mark.parametrize("size", [(40, 40), (33, 57), (64, 16), (5, 3)])
@pytest.mark.parametrize("goes_round", [True, False])
def test_growing_is_the_largest_within_a_disc(size, goes_round, rng):
    v = rng.random(size).astype(np.float32)
    for r in (0, 1, 3, 7):
        assert np.array_equal(grown(v, float(r), goes_round=goes_round), slow_disc(v, r, goes_round))
        assert np.allclose(grown(v, -float(r), goes_round=goes_round), 1 - slow_disc(1 - v, r, goes_round), atol=1e-7)
    half = (slow_disc(v, 2, goes_round) + slow_disc(v, 3, goes_round)) / 2
    assert np.allclose(grown(v, 2.5, goes_round=goes_round), half, atol=1e-6)


def test_blur_is_a_gaussian_and_goes_round_where_it_shall(rng):
    v = rng.random((48, 72)).astype(np.float32)
    for goes_round, mode in ((True, "wrap"), (False, "nearest")):
        got = shaped(v, Shaping(blur=0.05, goes_round=goes_round), None, v.shape)
        assert np.abs(got - gaussian_filter(v.astype(float), 0.05 * 48, mode=mode, truncate=6)).max() < 2e-3
    assert np.allclose(got.mean(), v.mean(), atol=0.02)


def test_distance_is_how_far_the_outline_is_at_every_size():
    for side in ((96, 144), (256, 384), (512, 512)):
        v, d = disc(side)
        got = distance(v, 0.1 * min(side), goes_round=False)
        assert np.abs(got - np.clip(0.5 - d / 0.2, 0, 1)).max() < 0.75 / (0.2 * min(side))
    assert np.array_equal(distance(np.ones((8, 8), np.float32), 3.0, goes_round=True), np.ones((8, 8), np.float32))
    assert distance(np.zeros((8, 8), np.float32), 3.0, goes_round=False).max() == 0


def test_a_shape_is_the_same_at_every_size_and_whatever_stands_alone_stays():
    how = Shaping(warp=0.05, grow=0.02, distance=0.1, blur=0.02)
    small, large = (shaped(disc(side)[0], how, disc(side, (0.7, 0.7), 0.5)[0], side) for side in ((128, 192), (512, 768)))
    reduced = large.reshape(128, 4, 192, 4).mean(axis=(1, 3))
    assert np.abs(small - reduced).mean() < 0.01 and np.abs(small - reduced).max() < 0.08
    flat = np.full((1, 1), 0.4, np.float32)
    assert shaped(flat, how, None, (8, 8)) is flat
    v = disc((64, 64))[0]
    assert np.allclose(warped(v, np.full((64, 64), 0.5, np.float32), 9.0, goes_round=True), v, atol=1e-6)
    # To the right by five texels, and down by five.
    assert np.allclose(
        warped(v, np.ones((64, 64), np.float32), 5.0, goes_round=True), np.roll(v, (-5, -5), (0, 1)), atol=1e-5
    )


def test_a_mask_reads_the_result_below_and_another_overlay(tmp_path):
    write_picture(tmp_path / "hole.png", np.dstack([np.ones((64, 64, 3)), disc((64, 64))[0]]).astype(np.float32))
    other = Overlay(id="other", name="Hole", source=Source(path=str(tmp_path / "hole.png")))
    base = {"id": "a", "cells": {"opacity": {"number": 0.25}, "colour": {"colour": (1.0, 1.0, 1.0)}}}
    below = {
        "id": "b",
        "mask": {"parts": [{"source": "below", "of": "opacity"}]},
        "cells": {"roughness": {"number": 1.0}},
    }
    read = {
        "id": "c",
        "mask": {"parts": [{"source": "overlay", "overlay": "other", "channel": "alpha", "shape": {"grow": 0.05}}]},
        "cells": {"metal": {"number": 1.0}},
    }
    doc = stacked([base, below, read])
    doc = Document(overlays=(*doc.overlays, other))
    o = doc.overlays[0]
    found = surface(doc)
    assert np.allclose(found.channels["roughness"], 0.05 + (1 - 0.05) * found.values[..., 3:4], atol=1e-5)
    want = slow_disc(disc((64, 64))[0], 3, goes_round=True)
    more = slow_disc(disc((64, 64))[0], 4, goes_round=True)
    assert np.abs(found.channels["metal"][..., 0] - (want + 0.2 * (more - want))).max() < 0.01
    # Seen by itself, while painting and when it is delivered a mask is the same.
    evaluator, ask = Evaluator(), EvaluationRequest(doc=doc)
    row = o.layers.row("b")
    mask = Values(o.layers, evaluator.outside(o, ask)).mask(row, planes_below(evaluator, o, ask, "b").get)
    seen = view_texture(evaluator, o, ask, "mask:b").values[..., 0]
    assert np.allclose(np.broadcast_to(mask, seen.shape), seen, atol=1e-6) and seen.max() > 0.2
    assert Document.model_validate_json(doc.model_dump_json()) == doc
    alone = Document(overlays=(o,))
    assert any("gone" in n for n in Evaluator().texture(o, alone).notes)

"""The tables of channels and blends: what follows from a row, and channels that one overlay reads from another."""

from typing import get_args

import numpy as np
import pytest
from stacks import linear, stacked, surface

from mivex.core.layers.channels import CHANNELS, TABLE, LayerChannel
from mivex.core.layers.model import Layer, Stack
from mivex.core.pixels.blends import BLENDS, blend_one, commute
from mivex.core.project import edits
from mivex.core.project.evaluate import Evaluator
from mivex.core.project.layering import EvaluationRequest


def reading(below, rows, side=32):
    """What a second overlay has, some of whose cells or masks read the first."""
    doc = stacked([{"cells": below}], side)
    doc, key = edits.add_blank(doc, "Reader", "glass", (side, side))
    layers = Stack.model_validate({"rows": rows(doc.overlays[0].id)})
    doc = edits.map_overlay(doc, key, lambda o: o.model_copy(update={"layers": layers}))
    reader = next(o for o in doc.overlays if o.id == key)
    evaluator = Evaluator()
    return evaluator.graph.value(evaluator.node_of(reader, EvaluationRequest(doc=doc))).surface


def test_every_channel_of_a_file_has_a_row():
    assert set(get_args(LayerChannel)) == set(TABLE) == set(CHANNELS)
    rng = np.random.default_rng(2)
    for row in TABLE.values():
        stored = rng.uniform(0, 1, (4, 5, 3) if row.coloured else (4, 5)).astype(np.float32)
        values = row.decoded(stored)
        assert values.min() >= row.low and np.abs(row.encoded(values) - stored).max() < 1e-6
        Layer.model_validate({"cells": {row.key: row.cell}})  # what a new cell holds is valid


@pytest.mark.parametrize("channel", ["roughness", "metal", "height", "emissive"])
@pytest.mark.parametrize("levels", [{}, {"low": 0.25, "high": 0.75}])
def test_a_channel_read_from_another_overlay_is_the_same_value(channel, levels):
    colour = (0.5, 0.25, 0.75)
    number = -0.4 if channel == "height" else 0.6
    cell = {"colour": colour} if channel == "emissive" else {"number": number}
    made = reading(
        {channel: cell},
        lambda other: [{"cells": {channel: {"source": "overlay", "overlay": other, "levels": levels}}}],
    )
    # Stored: colours in display values, heights about one half; levels work on stored values.
    stored = np.array(colour if channel == "emissive" else [number / 2 + 0.5 if channel == "height" else number])
    if levels:
        stored = np.clip((stored - 0.25) / 0.5, 0, 1)
    assert np.abs(made.channels[channel] - stored).max() < 2e-4
    # One texel high and wide is no special case.
    thin = reading({channel: cell}, lambda other: [{"cells": {channel: {"source": "overlay", "overlay": other}}}], side=1)
    assert thin.channels[channel].shape[:2] == (1, 1)


def test_a_mask_that_reads_heights_takes_what_rises_above_the_surface():
    def opacity(height):
        doc = stacked(
            [
                {"id": "bumps", "cells": {"height": {"number": height}}},
                {
                    "cells": {"opacity": {"number": 0.0}},
                    "mask": {"parts": [{"source": "layer", "layer": "bumps", "of": "height"}]},
                },
            ],
            base={"opacity": 0.8},
        )
        return surface(doc).alpha

    assert np.allclose(opacity(0.25), 0.6, atol=1e-6)
    assert np.allclose(opacity(-0.9), 0.8, atol=1e-6) and np.allclose(opacity(0.0), 0.8, atol=1e-6)


@pytest.mark.parametrize("a", BLENDS)
@pytest.mark.parametrize("b", BLENDS)
def test_blends_commute_just_where_the_table_says(a, b):
    rng = np.random.default_rng(5)
    apart = 0.0
    for _ in range(40):
        below = (*rng.uniform(0, 1, 3), 1.0)
        one, two = ((*rng.uniform(0, 1, 3), rng.uniform(0.1, 0.9)) for _ in range(2))
        first = blend_one(b, two, blend_one(a, one, below))
        other = blend_one(a, one, blend_one(b, two, below))
        apart = max(apart, np.abs(np.subtract(first, other))[:3].max())
    # Cutout and Dithered fragments that fail their test change nothing; some of forty pass.
    assert (apart < 1e-6) == commute(a, b)


def test_a_blend_is_linear_in_what_is_below():
    """``add + keep · below`` from two backdrops predicts the third, in float64, for every blend."""
    for name in BLENDS:
        source = (linear(0.7), linear(0.4), linear(0.2), 0.6)
        at = [np.array(blend_one(name, source, (v, v, v, 1.0))[:3]) for v in (0.0, 1.0, 0.3)]
        assert np.abs(at[0] + 0.3 * (at[1] - at[0]) - at[2]).max() < 1e-6

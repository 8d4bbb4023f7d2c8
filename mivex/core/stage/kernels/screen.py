"""From linear light to display codes, for drawing to the screen."""

import math

import numpy as np

from mivex.core.base.compile import kernel

SHOULDER = np.float32(0.8)
"""Where the soft view curve leaves the straight line."""


@kernel
def to_codes(colour, table, gain, soft, out, box):
    """Write the codes of a box: rows, then columns, each first and one after the last.

    ``table``: display code for light in steps of 1/65535. ``soft``: the brightest fifth is bent over,
    ``s + (1 − s)·(1 − exp(−(x − s)/(1 − s)))`` beyond ``s = 0.8``, which joins the line with the same slope.
    """
    top, half, one, zero = np.float32(65535), np.float32(0.5), np.float32(1), np.float32(0)
    rest = one - SHOULDER
    for y in range(box[0], box[1]):
        for x in range(box[2], box[3]):
            for c in range(3):
                v = colour[y, x, c] * gain
                if not v > zero:
                    v = zero
                elif soft and v > SHOULDER:
                    v = SHOULDER + rest * (one - np.float32(math.exp((SHOULDER - v) / rest)))
                v = min(v, one)
                out[y, x, c] = table[int(v * top + half)]

"""Kernels of `mivex.core.prepare.weighing`."""

import numpy as np

from mivex.core.base.compile import kernel
from mivex.core.pixels.kernels.colour import decode_near, encode_near


@kernel
def weigh_rows(values, decode, out, first, last):
    for y in range(first, last):
        for x in range(values.shape[1]):
            a = values[y, x, 3]
            for c in range(3):
                v = values[y, x, c]
                out[y, x, c] = (decode_near(v) if decode else v) * a
            out[y, x, 3] = a


@kernel
def unweigh_rows(sums, plain, encode, least, out, first, last):
    one, zero = np.float32(1), np.float32(0)
    for y in range(first, last):
        for x in range(out.shape[1]):
            a = sums[y, x, 3]
            if a > least:
                inv = one / a
                for c in range(3):
                    v = min(max(sums[y, x, c] * inv, zero), one)
                    out[y, x, c] = encode_near(v) if encode else v
            else:
                for c in range(3):
                    out[y, x, c] = plain[y, x, c]
            out[y, x, 3] = min(max(a, zero), one)


@kernel
def premultiply_rows(values, data, out, first, last):
    for y in range(first, last):
        for x in range(values.shape[1]):
            a = values[y, x, 3]
            for c in range(3):
                v = values[y, x, c]
                out[y, x, c] = v * a if data else (v if a >= 1 else encode_near(decode_near(v) * a))
            out[y, x, 3] = a

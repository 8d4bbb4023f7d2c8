"""Counted random numbers; see `mivex.core.motion.rng`."""

import numpy as np

from mivex.core.base.compile import inlined, kernel


@inlined
def _high(a, b):
    # Numba has no 128-bit product: from four products of halves, with the carries of the middle ones.
    # The high half of a product of 64-bit numbers.
    low, half = np.uint64(0xFFFFFFFF), np.uint64(32)
    a0, a1, b0, b1 = a & low, a >> half, b & low, b >> half
    first = a1 * b0 + ((a0 * b0) >> half)
    second = a0 * b1 + (first & low)
    return a1 * b1 + (first >> half) + (second >> half)


@kernel
def philox(c0, c1, c2, c3, k0, k1, out):
    """Four random words of a counter and a key, ten rounds, into ``out``."""
    m0, m1 = np.uint64(0xD2E7470EE14C6C93), np.uint64(0xCA5A826395121157)
    w0, w1 = np.uint64(0x9E3779B97F4A7C15), np.uint64(0xBB67AE8584CAA73B)
    # Ten rounds, as Salmon and others (2011) give them: the numbers that NumPy's Philox gives, tested against it.
    for i in range(10):
        if i:
            k0, k1 = k0 + w0, k1 + w1
        h0, l0, h1, l1 = _high(c0, m0), c0 * m0, _high(c2, m1), c2 * m1
        c0, c1, c2, c3 = h1 ^ c1 ^ k0, l1, h0 ^ c3 ^ k1, l0
    out[0], out[1], out[2], out[3] = c0, c1, c2, c3


@kernel
def fill(seed, streams, births, blocks, out):
    """Numbers in [0, 1) for particles into ``out`` (n, 4 · blocks); see `chances`."""
    words = np.empty(4, np.uint64)
    zero = np.uint64(0)
    for i in range(births.shape[0]):
        for block in range(blocks):
            # Block and stream count, seed and birth are the key: any number of any particle is had without those before
            # it.
            philox(np.uint64(block), np.uint64(streams[i]), zero, zero, np.uint64(seed), np.uint64(births[i]), words)
            for k in range(4):
                # 53 bits: the spacing of doubles below 1, so that 1 itself never comes.
                out[i, 4 * block + k] = float(words[k] >> np.uint64(11)) * 2.0**-53

"""Kernels of `mivex.core.pixels.blocks`."""

import numpy as np

from mivex.core.base.compile import kernel


@kernel
def choose(blocks, a, b, made, share, error, first, last):
    """Texels of blocks as the four colours between two hold them.

    Parameters
    ----------
    blocks : float32 array (n, 16, 3)
    a, b : float32 arrays (n, 3)
        The two colours of each block.
    made : float32 array (n, 16, 3)
        Receives the colours chosen.
    share : float32 array (n, 16)
        Receives how far from the first to the second each lies.
    error : float32 array (n,)
        Receives the squared error of each block.
    first, last : int
        Blocks to work on.
    """
    palette = np.empty((4, 3), np.float32)
    third = np.float32(1 / 3)
    shares = (np.float32(0), third, np.float32(2 / 3), np.float32(1))
    for n in range(first, last):
        for k in range(4):
            for c in range(3):
                palette[k, c] = a[n, c] + (b[n, c] - a[n, c]) * shares[k]
        total = np.float32(0)
        for i in range(16):
            best, which = np.float32(1e30), 0
            for k in range(4):
                off = np.float32(0)
                for c in range(3):
                    d = blocks[n, i, c] - palette[k, c]
                    off += d * d
                if off < best:
                    best, which = off, k
            total += best
            share[n, i] = shares[which]
            for c in range(3):
                made[n, i, c] = palette[which, c]
        error[n] = total

"""Kernels of `mivex.core.stage.adviser`: what a pixel looks like when its overlays are drawn in another order."""

import numpy as np

from mivex.core.base.compile import inlined, kernel
from mivex.core.pixels.kernels.colour import encode_near
from mivex.core.pixels.kernels.lanes import blue4, green4, load4, red4, store4
from mivex.core.pixels.kernels.merge import blend4
from mivex.core.stage.kernels.walk import passes_depth


@inlined
def _code(v, gain):
    return encode_near(min(max(v * gain, np.float32(0)), np.float32(1))) * np.float32(255)


@inlined
def _apart(a, b, gain):
    # Mean difference over the channels, in display codes.
    # In display codes because that is what an eye is given: the same step in light is seen at dusk and missed at
    # noon.
    return (
        abs(_code(red4(a), gain) - _code(red4(b), gain))
        + abs(_code(green4(a), gain) - _code(green4(b), gain))
        + abs(_code(blue4(a), gain) - _code(blue4(b), gain))
    ) / np.float32(3)


@inlined
def _laid(at, k, c, state, kinds, depth, display):
    # One fragment over a pixel, as depth test and blend have it.
    iw = state[k, 0]
    flags = kinds[k, 1]
    if flags & 1 and not passes_depth(iw, depth):
        return c, depth
    c = blend4(display, kinds[k, 0], load4(at + np.uint64(k * 16)), c, state[k, 1])
    if flags & 2:
        depth = iw
    return c, depth


@kernel
def errors_of(colours, state, kinds, who, starts, below, solid, truth, orders, gain, display, out):
    # Pixels outside, orders inside: a pixel's fragments stay in the cache while every order is tried on them.
    """Add each pixel's error under each order of its overlays.

    Parameters
    ----------
    colours : float32 array (n, 4)
        Sources of fragments, pixel by pixel, in drawing order within each overlay.
    state : float32 array (n, 2)
        1/w and the opacity of its material.
    kinds : int64 array (n, 2)
        Blend, and 1: tested, 2: writes depth.
    who : int64 array (n,)
        Place of its overlay among those of this pixel.
    starts : int64 array (pixels + 1,)
        Where each pixel's fragments begin.
    below, truth : float32 arrays (pixels, 4)
        What lies under them all; what exact order gives.
    solid : float32 array (pixels,)
        Depth of what lies under them.
    orders : int64 array (m, k)
        Orders of the pixel's overlays, the first drawn first.
    gain : float32
    display : int
        Blends work on display values.
    out : float64 array (m,)
    """
    at, low, true = np.uint64(colours.ctypes.data), np.uint64(below.ctypes.data), np.uint64(truth.ctypes.data)
    for p in range(starts.size - 1):
        for o in range(orders.shape[0]):
            c = load4(low + np.uint64(p * 16))
            depth = solid[p]
            for i in range(orders.shape[1]):
                for k in range(starts[p], starts[p + 1]):
                    if who[k] == orders[o, i]:
                        c, depth = _laid(at, k, c, state, kinds, depth, display)
            out[o] += _apart(c, load4(true + np.uint64(p * 16)), gain)


@kernel
def exact_of(colours, state, kinds, starts, below, display, out):
    """What exact order gives: fragments from far to near, the later drawn nearer where they are level."""
    at, low, to = np.uint64(colours.ctypes.data), np.uint64(below.ctypes.data), np.uint64(out.ctypes.data)
    # Lists are short (2 to 6 as a rule): insertion beats anything that divides them, and it is stable.
    order = np.empty(64, np.int64)
    for p in range(starts.size - 1):
        n = starts[p + 1] - starts[p]
        if n > order.size:
            order = np.empty(2 * n, np.int64)
        for i in range(n):
            k = starts[p] + i
            j = i
            while j > 0 and state[order[j - 1], 0] > state[k, 0]:
                order[j] = order[j - 1]
                j -= 1
            order[j] = k
        c = load4(low + np.uint64(p * 16))
        for i in range(n):
            k = order[i]
            c = blend4(display, kinds[k, 0], load4(at + np.uint64(k * 16)), c, state[k, 1])
        store4(to + np.uint64(p * 16), c)


@kernel
def as_drawn(colours, state, kinds, starts, below, solid, truth, gain, display, out):
    """Error of every pixel with its fragments in the order in which they stand."""
    at, low, true = np.uint64(colours.ctypes.data), np.uint64(below.ctypes.data), np.uint64(truth.ctypes.data)
    for p in range(starts.size - 1):
        c = load4(low + np.uint64(p * 16))
        depth = solid[p]
        for k in range(starts[p], starts[p + 1]):
            c, depth = _laid(at, k, c, state, kinds, depth, display)
        out[p] = _apart(c, load4(true + np.uint64(p * 16)), gain)

"""Kernels of `mivex.core.stage.adviser` and of the conflicts: what two overlays alone make of a pixel, for all pairs.

Errors are those of `mivex.core.stage.kernels.orders`: mean difference over the channels, in display codes.
"""

import numpy as np

from mivex.core.base.compile import inlined, kernel
from mivex.core.pixels.kernels.lanes import load4
from mivex.core.pixels.kernels.merge import blend4
from mivex.core.stage.kernels.orders import _apart, _laid


@inlined
def _members(overlays, begin, end, out):
    # The overlays of a pixel, each once, in the order in which they come.
    n = 0
    for k in range(begin, end):
        new = overlays[k] >= 0
        for i in range(n):
            if out[i] == overlays[k]:
                new = False
        if new:
            out[n] = overlays[k]
            n += 1
    return n


@inlined
def _exact_of_two(at, a, b, begin, end, overlays, state, kinds, under, display, order):
    # Both overlays' fragments from far to near, the later drawn nearer where they are level.
    n = 0
    for k in range(begin, end):
        if overlays[k] == a or overlays[k] == b:
            j = n
            while j > 0 and state[order[j - 1], 0] > state[k, 0]:
                order[j] = order[j - 1]
                j -= 1
            order[j] = k
            n += 1
    c = under
    for i in range(n):
        k = order[i]
        c = blend4(display, kinds[k, 0], load4(at + np.uint64(k * 16)), c, state[k, 1])
    return c


@kernel
def pair_errors_of(colours, state, kinds, overlays, starts, below, solid, gain, display, out):
    """Add, for every pair of overlays, the error of drawing all of the first before all of the second.

    Parameters
    ----------
    colours, state, kinds, starts, below, solid, gain, display
        As in `errors_of`.
    overlays : int64 array (n,)
        The overlay of each fragment; negative ones are left out.
    out : float64 array (overlays, overlays)
    """
    at, low = np.uint64(colours.ctypes.data), np.uint64(below.ctypes.data)
    most = 1
    for p in range(starts.size - 1):
        most = max(most, starts[p + 1] - starts[p])
    members, order = np.empty(most, np.int64), np.empty(most, np.int64)
    for p in range(starts.size - 1):
        begin, end = starts[p], starts[p + 1]
        n = _members(overlays, begin, end, members)
        under = load4(low + np.uint64(p * 16))
        for i in range(n):
            for j in range(i + 1, n):
                a, b = members[i], members[j]
                true = _exact_of_two(at, a, b, begin, end, overlays, state, kinds, under, display, order)
                for turn in range(2):
                    first, second = (a, b) if turn == 0 else (b, a)
                    c, depth = under, solid[p]
                    for k in range(begin, end):
                        if overlays[k] == first:
                            c, depth = _laid(at, k, c, state, kinds, depth, display)
                    for k in range(begin, end):
                        if overlays[k] == second:
                            c, depth = _laid(at, k, c, state, kinds, depth, display)
                    out[first, second] += _apart(c, true, gain)


@kernel
def inverted_of(colours, state, kinds, overlays, starts, below, solid, gain, display, bad, rows, errors):
    """Pairs of overlays of which the first is drawn before the second though it is nearer, pixel by pixel.

    Parameters
    ----------
    colours, state, kinds, starts, below, solid, gain, display
        As in `errors_of`.
    overlays : int64 array (n,)
    bad : int64 array (m,)
        The pixels that are looked at.
    rows : int64 array (room, 3)
        First and second overlay, pixel; filled as far as there is room.
    errors : float32 array (room,)
        What the two make of the pixel by themselves, as they are drawn.

    Returns
    -------
    int
        How many there are; more than ``room``: call again with so much.
    """
    at, low = np.uint64(colours.ctypes.data), np.uint64(below.ctypes.data)
    most = 1
    for p in range(starts.size - 1):
        most = max(most, starts[p + 1] - starts[p])
    members, order = np.empty(most, np.int64), np.empty(most, np.int64)
    count = 0
    for q in range(bad.size):
        p = bad[q]
        begin, end = starts[p], starts[p + 1]
        n = _members(overlays, begin, end, members)
        under = load4(low + np.uint64(p * 16))
        for i in range(n):
            for j in range(n):
                a, b = members[i], members[j]
                wrong = False
                nearest = np.float32(-1)  # of what was drawn of the first so far, as 1/w
                for k in range(begin, end):
                    if overlays[k] == b and state[k, 0] < nearest:
                        wrong = True
                    if overlays[k] == a:
                        nearest = max(nearest, state[k, 0])
                if not wrong:
                    continue
                if count < errors.size:
                    true = _exact_of_two(at, a, b, begin, end, overlays, state, kinds, under, display, order)
                    c, depth = under, solid[p]
                    for k in range(begin, end):
                        if overlays[k] == a or overlays[k] == b:
                            c, depth = _laid(at, k, c, state, kinds, depth, display)
                    rows[count, 0], rows[count, 1], rows[count, 2] = a, b, p
                    errors[count] = _apart(c, true, gain)
                count += 1
    return count

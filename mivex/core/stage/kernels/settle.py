"""Lists of fragments into the picture: sorted by depth, then blended.

References
----------
Carpenter (1984), *The A-buffer, an Antialiased Hidden Surface Method*.
"""

import numpy as np

from mivex.core.base.compile import kernel
from mivex.core.pixels.kernels.lanes import last4, load4, red4, store4, with_last4
from mivex.core.pixels.kernels.merge import blend4
from mivex.core.stage.kernels.walk import span


@kernel
def room_for(polys, box, width):
    """How many fragments a box of the picture can have at most; ``box`` as in `paint`."""
    total = 0
    for p in range(box[4], box[5]):
        poly = polys[p]
        if poly.bottom <= box[0] or poly.top >= box[1] or poly.right <= box[2] or poly.left >= box[3]:
            continue
        for y in range(
            max(box[0], int(np.ceil(max(poly.top, 0.0) - 0.5))),
            min(box[1], int(np.ceil(min(poly.bottom, float(box[1])) - 0.5))),
        ):
            x0, x1 = span(poly, y, width)
            total += max(0, min(x1, box[3]) - max(x0, box[2]))
    return total


@kernel
def sort_list(head, links, facts, draws, polys, out):
    """Numbers of a pixel's fragments from far to near into ``out``; returns how many count.

    At the same depth the one drawn later is the nearer. Of something whose depth is laid before its colour only the
    nearest fragment counts.
    """
    n, k = 0, head
    while k >= 0:
        iw, who = facts[k, 7], links[k, 1]
        j = n
        while j > 0 and (facts[out[j - 1], 7] > iw or (facts[out[j - 1], 7] == iw and links[out[j - 1], 1] > who)):
            out[j] = out[j - 1]
            j -= 1
        out[j] = k
        n += 1
        k = links[k, 0]
    m = 0
    for i in range(n):
        own = polys[links[out[i], 1]].draw
        # A draw that lays its depth first shows one surface only: of its fragments the nearest, which comes last.
        again = False
        if draws[own].first:
            for j in range(i + 1, n):
                again = again or polys[links[out[j], 1]].draw == own
        if not again:
            out[m] = out[i]
            m += 1
    return m


@kernel
def settle(frames, draws, polys, box, heads, links, facts):
    """Blend what the lists of a box's pixels hold, from far to near, over what is in the picture."""
    frame = frames[0]
    # The longest list first, so that one scratch array serves every pixel.
    most = 1
    for y in range(box[0], box[1]):
        for x in range(box[2], box[3]):
            n, k = 0, heads[0, y - box[0], x]
            while k >= 0:
                n += 1
                k = links[k, 0]
            most = max(most, n)
    order = np.empty(most, np.int64)
    at = np.uint64(facts.ctypes.data)
    for y in range(box[0], box[1]):
        for x in range(box[2], box[3]):
            head = heads[0, y - box[0], x]
            if head < 0:
                continue
            n = sort_list(head, links, facts, draws, polys, order)
            to = frame.colour + np.uint64((y * frame.width + x) * 16)
            c = load4(to)
            for i in range(n):
                k = order[i]
                draw = draws[polys[links[k, 1]].draw]
                behind = load4(at + np.uint64(k * 48 + 32))
                below = c if red4(behind) < np.float32(0) else with_last4(behind, last4(c))
                c = blend4(frame.display, draw.blend, load4(at + np.uint64(k * 48)), below, draw.tint[3])
            store4(to, c)


@kernel
def pixels_of(heads, links, out):
    """Number of the pixel of every fragment, row by row."""
    for y in range(heads.shape[1]):
        for x in range(heads.shape[2]):
            k = heads[0, y, x]
            while k >= 0:
                out[k] = y * heads.shape[2] + x
                k = links[k, 0]

"""Lists of fragments into the picture: sorted by depth, then blended.

References
----------
Carpenter (1984), *The A-buffer, an Antialiased Hidden Surface Method*.
"""

import numpy as np

from mivex.core.base.compile import inlined, kernel
from mivex.core.pixels.kernels.lanes import last4, load4, red4, store4, with_last4
from mivex.core.pixels.kernels.merge import blend4
from mivex.core.stage.kernels.walk import span


@kernel
def room_for(polys, box, width):
    # An upper bound, by the polygons' spans alone: nothing is sampled for it, and no list has to grow while drawing.
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


@inlined
def _behind(facts, a, b):
    # Whether fragment a is not before b: farther, or as far and drawn no later, which is how they stand already.
    # With "or equal" the sort is stable, and stability is the rule for what lies in one plane: drawn later, nearer.
    return facts[a, 7] <= facts[b, 7]


@kernel
def _in_order(facts, out, n, scratch):
    """Sort ``out[:n]`` from far to near; what is level stays as it stands. Runs of eight by insertion, then merged.

    Sprites come in from far to near, or by their nudges, or at random: insertion alone is quick for the first only, and a
    thousand at a pixel would be a million steps.
    """
    # Short runs by insertion: they fit a few cache lines, and most pixels hold no more fragments than one run.
    for first in range(0, n, 8):
        for i in range(first + 1, min(first + 8, n)):
            k, j = out[i], i
            while j > first and not _behind(facts, out[j - 1], k):
                out[j] = out[j - 1]
                j -= 1
            out[j] = k
    width = 8
    while width < n:
        for first in range(0, n, 2 * width):
            middle, last = min(first + width, n), min(first + 2 * width, n)
            if middle >= last or _behind(facts, out[middle - 1], out[middle]):
                continue  # the two runs are in order already
            for i in range(first, middle):
                scratch[i] = out[i]
            i, j, k = first, middle, first
            while i < middle:
                if j >= last or _behind(facts, scratch[i], out[j]):
                    out[k] = scratch[i]
                    i += 1
                else:
                    out[k] = out[j]
                    j += 1
                k += 1
        width *= 2


@kernel
def sort_list(head, links, facts, draws, polys, out, scratch):
    """Numbers of a pixel's fragments from far to near into ``out``; returns how many count.

    At the same depth the one drawn later is the nearer. Of something whose depth is laid before its colour only the
    nearest fragment counts. ``out`` and ``scratch``: int64 arrays with room for them all.
    """
    # Linked lists cost one store a fragment while drawing; turned into an array only here, where it is sorted.
    n, k = 0, head
    while k >= 0:
        out[n] = k
        n += 1
        k = links[k, 0]
    # The list begins with what was drawn last.
    for i in range(n // 2):
        out[i], out[n - 1 - i] = out[n - 1 - i], out[i]
    _in_order(facts, out, n, scratch)
    m = 0
    for i in range(n):
        own = polys[links[out[i], 1]].draw
        # A draw that lays its depth first shows one surface only: of its fragments the nearest, which comes last.
        again = False
        # Quadratic, but only over the fragments of one draw at one pixel, of which there are rarely more than four.
        if draws[own].first:
            for j in range(i + 1, n):
                again = again or polys[links[out[j], 1]].draw == own
        if not again:
            out[m] = out[i]
            m += 1
    return m


@kernel
def settle(frames, draws, polys, box, heads, links, facts, written):
    """Blend what the lists of a box's pixels hold, from far to near, over what is in the picture.

    ``written``, float32 (height, width), receives the nearest 1/w of what writes depth: among these it hides nothing, but
    what is drawn in front of all of them afterwards meets it.
    """
    frame = frames[0]
    most = 1
    # The longest list first, so that one scratch array serves every pixel.
    for y in range(box[0], box[1]):
        for x in range(box[2], box[3]):
            n, k = 0, heads[0, y - box[0], x]
            while k >= 0:
                n += 1
                k = links[k, 0]
            most = max(most, n)
    order, scratch = np.empty(most, np.int64), np.empty(most, np.int64)
    at = np.uint64(facts.ctypes.data)
    for y in range(box[0], box[1]):
        for x in range(box[2], box[3]):
            head = heads[0, y - box[0], x]
            if head < 0:
                continue
            n = sort_list(head, links, facts, draws, polys, order, scratch)
            to = frame.colour + np.uint64((y * frame.width + x) * 16)
            c = load4(to)
            for i in range(n):
                k = order[i]
                draw = draws[polys[links[k, 1]].draw]
                source = load4(at + np.uint64(k * 48))
                behind = load4(at + np.uint64(k * 48 + 32))
                # A negative red says that the fragment bends nothing; a flag of its own would cost eight bytes for
                # each.
                below = c if red4(behind) < np.float32(0) else with_last4(behind, last4(c))
                c = blend4(frame.display, draw.blend, source, below, draw.tint[3])
                if draw.write or (draw.first and last4(source) > np.float32(0)):
                    written[y, x] = max(written[y, x], facts[k, 7])
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

"""Polygons into a picture: spans → shade → merge → sink.

Two loops are kept for the commonest case, an unlit texture into the picture. They call the same sampling and the
same blend as the general one, in the same order of operations, so that all agree bit for bit.
"""

import numpy as np

from mivex.core.base.compile import inlined, kernel
from mivex.core.pixels.kernels.blend_codes import CUTOUT, DITHERED, TRANSLUCENT
from mivex.core.pixels.kernels.lanes import (
    blue4,
    fma1,
    green4,
    last4,
    load1,
    load4,
    make4,
    mul4,
    red4,
    splat4,
    store1,
    store4,
    sub4,
    with_last4,
)
from mivex.core.pixels.kernels.merge import blend4, merge4, passes_alpha_test
from mivex.core.pixels.kernels.sampling import bilinear4, high_of, mix4, texels_of, trilinear4, wide_of
from mivex.core.stage.kernels.effects import GLASS, HASHED, REFRACTS
from mivex.core.stage.kernels.shade import (
    accumulate_surface,
    angled,
    behind4,
    contact_fade,
    lit_fragment,
    sample_with_lod,
    surface_of,
    surface_threshold,
)
from mivex.core.stage.kernels.walk import biased, inside, nearer, passes_depth, span, trimmed

PICTURE, KEPT, ALL, TALLY, NORMAL, LEVEL = 0, 1, 2, 3, 4, 5
"""Where fragments go; see `paint`."""


@inlined
def _finish(draw, bias, source, iw, colour, depth, matrix, x):
    """Blend one fragment into the picture."""
    a = last4(source)
    threshold = load1(matrix + np.uint64((x & 7) * 4)) if draw.blend == DITHERED else np.float32(0)
    if passes_alpha_test(draw.blend, a, draw.cutoff, threshold):
        store4(colour, merge4(draw.blend, source, load4(colour), draw.tint[3]))
        if draw.write:
            store1(depth, biased(iw, bias))


@kernel
def row_close(frame, draw, chain, poly, value, y, x0, first, last):
    """A row of a flat polygon seen at the finest level: u and v run evenly, nothing is divided."""
    w, h = wide_of(chain, 0), high_of(chain, 0)
    base = texels_of(chain, 0)
    half = np.float32(0.5)
    iw = np.float32(value[0])
    z = 1.0 / value[0]
    us, du = np.float32(value[1] * z), np.float32(poly.across[1] * z)
    vs, dv = np.float32(value[2] * z), np.float32(poly.across[2] * z)
    W, H = np.float32(w), np.float32(h)
    px, dx, py, dy = us * W - half, du * W, vs * H - half, dv * H
    # Between lo and hi all four texels lie inside the picture: no wrapping, no clamping, and the loop stays straight.
    lo, hi = inside(px, dx, w - 1, first, last)
    lo, hi = inside(py, dy, h - 1, lo, hi)
    tint = make4(draw.tint[0], draw.tint[1], draw.tint[2], draw.tint[3])
    row = np.uint64(y * frame.width + x0)
    colour, depth = frame.colour + row * np.uint64(16), frame.depth + row * np.uint64(4)
    matrix = frame.matrix + np.uint64((y & 7) * 32)
    stride = np.uint64(w * 16)
    # Most sprites are of this sort; with the blend known the compiler keeps the loop free of branches.
    plain = draw.blend == TRANSLUCENT and not draw.write
    # Fields of the record are read once: the compiler cannot know that a store into the picture leaves them alone.
    test, bias, wrap = draw.test, poly.bias, draw.wrap
    opacity = draw.tint[3]
    mine = biased(iw, bias)
    for i in range(first, last):
        if test and not passes_depth(mine, load1(depth + np.uint64(i * 4))):
            continue
        f = np.float32(i)
        if lo <= i < hi:
            x, y1 = fma1(dx, f, px), fma1(dy, f, py)
            ix, iy = np.int64(x), np.int64(y1)
            at = base + np.uint64((iy * w + ix) * 16)
            c = mix4(at, at + stride, np.uint64(0), np.uint64(16), x - np.float32(ix), y1 - np.float32(iy))
        else:
            c = bilinear4(base, w, h, fma1(du, f, us), fma1(dv, f, vs), wrap)
        s = mul4(c, tint)
        if plain:
            to = colour + np.uint64(i * 16)
            store4(to, merge4(TRANSLUCENT, s, load4(to), opacity))
        else:
            _finish(draw, bias, s, iw, colour + np.uint64(i * 16), depth + np.uint64(i * 4), matrix, x0 + i)


@kernel
def row_plain(frame, draw, chain, poly, value, y, x0, first, last):
    """A row of an unlit polygon in perspective, or of a flat one at a coarser level."""
    rw, gw = np.float32(value[0]), np.float32(poly.across[0])
    ru, gu, rv, gv = (np.float32(value[1]), np.float32(poly.across[1]), np.float32(value[2]), np.float32(poly.across[2]))
    hw, hu, hv = np.float32(poly.down[0]), np.float32(poly.down[1]), np.float32(poly.down[2])
    tint = make4(draw.tint[0], draw.tint[1], draw.tint[2], draw.tint[3])
    row = np.uint64(y * frame.width + x0)
    colour, depth = frame.colour + row * np.uint64(16), frame.depth + row * np.uint64(4)
    matrix = frame.matrix + np.uint64((y & 7) * 32)
    one = np.float32(1)
    for i in range(first, last):
        f = np.float32(i)
        iw = fma1(gw, f, rw)
        if draw.test and not nearer(iw, poly.bias, depth + np.uint64(i * 4)):
            continue
        # u/w and v/w are straight on screen, u and v are not: one division a pixel (Heckbert and Moreton 1991).
        w = one / iw
        u, v = fma1(gu, f, ru) * w, fma1(gv, f, rv) * w
        if poly.flat:
            c = trilinear4(chain, u, v, poly.level, poly.share, draw.wrap)
        else:
            c = sample_with_lod(chain, u, v, w, gw, gu, gv, hw, hu, hv, draw.wrap)
        _finish(draw, poly.bias, mul4(c, tint), iw, colour + np.uint64(i * 16), depth + np.uint64(i * 4), matrix, x0 + i)


@inlined
def _keep(sink, p, y, x, iw, verdict, source, behind, hold):
    """Put a fragment on the list of its pixel."""
    heads, links, facts, used = sink[2], sink[3], sink[4], sink[5]
    n = used[0]
    if n < links.shape[0]:
        used[0] = n + 1
        row = y - sink[1]
        links[n, 0], links[n, 1], links[n, 2] = heads[0, row, x], p, verdict
        heads[0, row, x] = n
        at = np.uint64(facts.ctypes.data) + np.uint64(n * 48)
        store4(at, source)
        store4(at + np.uint64(16), load4(hold + np.uint64(160)))
        store1(at + np.uint64(28), iw)
        store4(at + np.uint64(32), behind)


@kernel
def row_full(frame, light, draw, poly, value, y, x0, first, last, surface, hold, sink, p):
    """A row of anything: every input read, lit here or left to be lit.

    ``surface`` is the address of the row of surfaces to change, or 0: then light is worked out here and the
    picture is the sink. ``value`` and ``hold`` are addresses: of the row's first values, and of scratch for a pixel.
    ``sink``: see `paint`. ``p``: number of the polygon.
    """
    mode = sink[0]
    row = np.uint64(y * frame.width + x0)
    colour, depth = frame.colour + row * np.uint64(16), frame.depth + row * np.uint64(4)
    matrix = frame.matrix + np.uint64((y & 7) * 32)
    for i in range(first, last):
        iw = fma1(np.float32(poly.across[0]), np.float32(i), load1(value))
        hidden = draw.test and not nearer(iw, poly.bias, depth + np.uint64(i * 4))
        # The depth test stands before everything that costs: no picture is read for what is hidden.
        if hidden and mode != ALL:
            continue
        source = surface_of(draw, poly, value, i, iw, hold)
        if draw.special & GLASS:
            source = angled(frame, draw, source, hold, iw, x0 + i, y)
        a = last4(source)
        threshold = load1(matrix + np.uint64(((x0 + i) & 7) * 4)) if draw.blend == DITHERED else np.float32(0)
        if draw.special & HASHED:
            threshold = surface_threshold(draw, poly, value, i, iw)
        stays = passes_alpha_test(draw.blend, a, draw.cutoff, threshold)
        if mode == TALLY and draw.looked and not poly.only_depth:
            sink[2][0, y - sink[1], x0 + i] += 1
            sink[2][1, y - sink[1], x0 + i] += not stays
        # Depth laid before colour: only where something is seen, so that clear texels do not hide.
        if poly.only_depth:
            if stays and a > np.float32(0) and mode not in (KEPT, ALL):
                store1(depth + np.uint64(i * 4), biased(iw, poly.bias))
            continue
        if not stays and mode != ALL:
            continue
        if mode in (NORMAL, LEVEL):
            # A texel of less than one code of 255 shows nothing; its normal would hide that of what is behind.
            if a > np.float32(0.004) or draw.blend <= DITHERED:
                shown = load4(hold + np.uint64(112 if mode == NORMAL else 160))
                store4(colour + np.uint64(i * 16), with_last4(shown, np.float32(1)))
                if draw.write:
                    store1(depth + np.uint64(i * 4), biased(iw, poly.bias))
            continue
        if draw.lit and mode != TALLY and (mode == ALL or not (surface and (draw.decal or draw.blend <= DITHERED))):
            source = lit_fragment(frame, light, source, hold, iw, x0 + i, y)
        source = contact_fade(frame, draw, source, iw, x0 + i, y)
        through = draw.special & REFRACTS and not surface
        behind = splat4(np.float32(-1))  # below zero: nothing is bent, what is in the picture counts
        if through:
            behind = behind4(frame, draw, hold, iw, x0 + i, y)
        if mode in (KEPT, ALL):
            _keep(
                sink,
                p,
                y,
                x0 + i,
                biased(iw, poly.bias) if poly.bias > 0 else iw,
                1 if hidden else 0 if stays else 2 if draw.blend == CUTOUT else 3,
                source,
                behind,
                hold,
            )
            continue
        if surface:
            accumulate_surface(frame, light, draw, source, hold, surface + np.uint64((x0 + i) * 64), x0 + i, y)
        else:
            to = colour + np.uint64(i * 16)
            before = load4(to)
            below = with_last4(behind, last4(before)) if through else before
            after = blend4(frame.display, draw.blend, source, below, draw.tint[3])
            store4(to, after)
            if mode == TALLY and draw.looked:
                d = sub4(after, before)
                most = max(abs(red4(d)), abs(green4(d)), abs(blue4(d)))
                # A fortieth of a display code at mid grey: such a fragment was paid for and changed nothing.
                sink[2][1, y - sink[1], x0 + i] += most < np.float32(1e-4)
        if draw.write:
            store1(depth + np.uint64(i * 4), biased(iw, poly.bias))


@kernel
def paint(frames, lights, draws, polys, box, surfaces, sink):
    """Draw polygons, in their order, into a box of the picture.

    Parameters
    ----------
    frames : FRAME array (1,)
    lights : LIGHT array (1,)
    draws, polys : DRAW and POLY arrays
    box : int64 array (6,)
        First row and the one after the last, first column and the one after the last, first polygon and the one
        after the last.
    surfaces : float32 array (rows, width, 16)
        Rows of the box as surfaces to be lit later; of size 0 where the picture is drawn into.
    sink : (mode, first row, heads, links, facts, used)
        Where fragments go. Mode PICTURE: into the picture. KEPT: those that the picture would take are put on their
        pixel's list, and nothing is drawn; ALL: also those that it would not take. TALLY: the picture, and how many
        there were, and how many of them changed nothing. NORMAL, LEVEL: that in place of colour.

        ``heads`` int32 (2, rows, width): the last fragment of each pixel, −1: none; or the two counts. ``links`` int32
        (n, 3): the one before, polygon, verdict (0 drawn, 1 hidden, 2 below the cutoff, 3 not in the matrix).
        ``facts`` float32 (n, 12): source colour and alpha, u, v, level, 1/w as the test sees it, and what is seen through
        it where it refracts (below zero: what is there). ``used`` int64 (1,).
    """
    frame, light = frames[0], lights[0]
    first, last, left, right = box[0], box[1], box[2], box[3]
    deferred = surfaces.size > 0
    # Where a row begins is worked out in float64: far from a large polygon's corner float32 is off by whole texels.
    value = np.empty(10)
    narrow = np.empty(10, np.float32)
    scratch = np.zeros((11, 4), np.float32)
    hold = np.uint64(scratch.ctypes.data)
    at = np.uint64(surfaces.ctypes.data)
    step = np.uint64(frame.width * 64)
    for p in range(box[4], box[5]):
        poly = polys[p]
        if poly.bottom <= first or poly.top >= last or poly.right <= left or poly.left >= right:
            continue
        draw = draws[poly.draw]
        chain = draw.chain[0]
        plain = (
            not deferred
            and not draw.lit
            and not draw.tinted
            and draw.slots == 1
            and draw.opacity.slot < 0
            and sink[0] == PICTURE
            and not poly.only_depth
            and not draw.special
            and not frame.display
        )
        for y in range(
            # A row belongs to a polygon when its centre, y + 0.5, lies inside: neighbours share no row and leave none out.
            max(first, int(np.ceil(max(poly.top, 0.0) - 0.5))),
            min(last, int(np.ceil(min(poly.bottom, float(last)) - 0.5))),
        ):
            x0, x1 = span(poly, y, frame.width)
            if x0 >= x1 or x0 >= right or x1 <= left:
                continue
            # From the polygon's own first corner, never from the band: the picture is the same however it is cut up.
            dx, dy = x0 + 0.5 - poly.at_x, y + 0.5 - poly.at_y
            for k in range(10):
                value[k] = poly.value[k] + poly.across[k] * dx + poly.down[k] * dy
            a, b = max(left - x0, 0), min(x1, right) - x0
            if draw.trimmed and poly.flat and sink[0] != ALL and sink[0] != TALLY:
                a, b = trimmed(poly, draw, chain, value, a, b)
            if a >= b:
                continue
            if not plain:
                for k in range(10):
                    narrow[k] = np.float32(value[k])
                row_full(
                    frame,
                    light,
                    draw,
                    poly,
                    np.uint64(narrow.ctypes.data),
                    y,
                    x0,
                    a,
                    b,
                    at + step * np.uint64(y - first) if deferred else np.uint64(0),
                    hold,
                    sink,
                    p,
                )
            elif poly.flat and poly.level == 0 and poly.share <= np.float32(0.002):
                row_close(frame, draw, chain, poly, value, y, x0, a, b)
            else:
                row_plain(frame, draw, chain, poly, value, y, x0, a, b)


@kernel
def clear(frames, box, surfaces):
    """Make a box of the picture the ground grey of alpha 0, infinitely far, and its surfaces unlit ground."""
    frame = frames[0]
    g = frame.ground
    ground = make4(g, g, g, np.float32(0))
    none = splat4(np.float32(0))
    at = np.uint64(surfaces.ctypes.data)
    for y in range(box[0], box[1]):
        for x in range(box[2], box[3]):
            i = np.uint64(y * frame.width + x)
            store4(frame.colour + i * np.uint64(16), ground)
            store1(frame.depth + i * np.uint64(4), np.float32(0))
            if surfaces.size:
                s = at + np.uint64(((y - box[0]) * frame.width + x) * 64)
                store4(s, none)
                store4(s + np.uint64(16), none)
                store4(s + np.uint64(32), ground)
                store4(s + np.uint64(48), none)

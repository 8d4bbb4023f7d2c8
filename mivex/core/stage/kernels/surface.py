"""Kernels of `mivex.core.stage.surface_strokes`: what is unfolded, laid into the picture."""

import math

import numpy as np

from mivex.core.base.compile import inlined, kernel
from mivex.core.stage.kernels.unfold import MOST_STATES, along, unfold


@inlined
def _onto(px, py, ax, ay, bx, by):
    """Share along a segment of the point on it that is nearest to another."""
    dx, dy = bx - ax, by - ay
    n = dx * dx + dy * dy
    return min(max(((px - ax) * dx + (py - ay) * dy) / n, 0.0), 1.0) if n > 0 else 0.0


@kernel
def overhang(owner, uv, out):
    """How far, in texels, what belongs to each face lies beyond the box of its corners; ``out`` (m,) begins as 0."""
    for y in range(owner.shape[0]):
        for x in range(owner.shape[1]):
            f = owner[y, x]
            if f >= 0:
                u0, u1 = min(uv[f, 0, 0], uv[f, 1, 0], uv[f, 2, 0]), max(uv[f, 0, 0], uv[f, 1, 0], uv[f, 2, 0])
                v0, v1 = min(uv[f, 0, 1], uv[f, 1, 1], uv[f, 2, 1]), max(uv[f, 0, 1], uv[f, 1, 1], uv[f, 2, 1])
                out[f] = max(out[f], u0 - x, x + 1 - u1, v0 - y, y + 1 - v1)


@kernel
def weights_at(uv, f, x, y):
    """Weights of a face's second and third corner at a place of the picture, and 2 inside, 1 on its edge, else 0."""
    ax, ay = uv[f, 0, 0], uv[f, 0, 1]
    bx, by, cx, cy = uv[f, 1, 0] - ax, uv[f, 1, 1] - ay, uv[f, 2, 0] - ax, uv[f, 2, 1] - ay
    area = bx * cy - by * cx
    # A face without area in the picture has no texels of its own.
    if abs(area) < 1e-12:
        return 0.0, 0.0, 0
    px, py = x - ax, y - ay
    s, t = (px * cy - py * cx) / area, (py * bx - px * by) / area
    # Exactly on an edge two faces hold the texel; who owns it was settled when the owners were drawn.
    if s > 1e-9 and t > 1e-9 and s + t < 1 - 1e-9:
        return s, t, 2
    if s >= 0 and t >= 0 and s + t <= 1:
        return s, t, 1
    # Beyond the face: the nearest place on it, in the picture.
    ab = _onto(px, py, 0.0, 0.0, bx, by)
    ac = _onto(px, py, 0.0, 0.0, cx, cy)
    bc = _onto(px, py, bx, by, cx, cy)
    d_ab = math.hypot(px - ab * bx, py - ab * by)
    d_ac = math.hypot(px - ac * cx, py - ac * cy)
    d_bc = math.hypot(px - bx - bc * (cx - bx), py - by - bc * (cy - by))
    if d_ab <= d_ac and d_ab <= d_bc:
        return ab, 0.0, 0
    if d_ac <= d_bc:
        return 0.0, ac, 0
    return 1.0 - bc, bc, 0


@inlined
def _texel_on(owner, uv, f, x, y):
    """Weights of a face at a texel's centre, and whether the texel is its own, or well inside it where UVs overlap."""
    # Beside the picture's islands nobody owns a texel: what lies there is never seen.
    mine = owner[y, x] == f
    if not mine and owner[y, x] < 0:
        return 0.0, 0.0, False
    s, t, inside = weights_at(uv, f, x + 0.5, y + 0.5)
    return s, t, mine or inside == 2


@kernel
def dab(
    out, plane, owner, uv, texel, tip, form, build, pad, radius, flow, side_up, made, face, q, window, source, link, first
):
    """Lay one unfolded dab into the picture.

    Parameters
    ----------
    out, owner : float32, int32 arrays (h, w)
        Coverage; and the face that each texel belongs to, those beyond all faces to the nearest, −1: to none.
    plane : float32 array (h, w, 3) or (1, 1, 3)
        Where it is as large as ``out``, filled for what is touched: where a texel lies in the tip's plane, from its middle,
        as far as along the surface; and 1 where it lies within its face, 0 beyond the border of an island.
    uv : float64 array (m, 3, 2)
        Corners of the faces in texels.
    texel : float64 array (m,)
        Side of a texel on each face, in units of the mesh; 0: it has no room in the picture.
    tip, form, build
        As in `mivex.core.layers.kernels.dabs.dabs_rows`.
    pad : float64 array (m,)
        Texels by which what belongs to a face lies beyond its corners.
    radius, flow, side_up : float
    made, face, q, window, source
        As `unfold` gives them.
    link, first : int32 arrays (n,), (m,)
        Scratch; ``first`` is all −1, and is again afterwards.

    Returns
    -------
    top, low, left, right : int
        What was touched; ``low`` 0 where nothing was.
    """
    h, w = out.shape
    box_top, box_low, box_left, box_right = h, 0, w, 0
    for i in range(made):
        if face[i] >= 0:
            # A list for each face, of the windows through which it is seen; its head is taken off again below.
            link[i] = first[face[i]]
            first[face[i]] = i
    side = tip.shape[0]
    told = plane.shape[0] == h and plane.shape[1] == w
    for n in range(made):
        f = face[n]
        if f < 0 or first[f] < 0:
            continue
        head = first[f]
        first[f] = -1
        if texel[f] <= 0:
            continue
        # UVs give faces different room: the tip is as large on the mesh, and so of another size in the picture.
        r = radius / texel[f]
        wide = max(r, 1.0) if form == 1 else r
        # A soft tip smaller than a texel keeps its ink: wider and fainter, never gone.
        left_over = flow * (r / wide)
        reach = (wide * (1.42 if form == 2 else 1.0) + 1.0) * texel[f]
        u0, v0 = uv[f, 0, 0], uv[f, 0, 1]
        u1, v1, u2, v2 = uv[f, 1, 0] - u0, uv[f, 1, 1] - v0, uv[f, 2, 0] - u0, uv[f, 2, 1] - v0
        top, low, left, right = 1e18, -1e18, 1e18, -1e18
        i = head
        while i >= 0:
            # What a circle in the plane becomes in the picture: its box there.
            x1, y1 = q[i, 1, 0] - q[i, 0, 0], q[i, 1, 1] - q[i, 0, 1]
            x2, y2 = q[i, 2, 0] - q[i, 0, 0], q[i, 2, 1] - q[i, 0, 1]
            det = x1 * y2 - y1 * x2
            if det != 0:
                ux, uy = (u1 * y2 - u2 * y1) / det, (u2 * x1 - u1 * x2) / det
                vx, vy = (v1 * y2 - v2 * y1) / det, (v2 * x1 - v1 * x2) / det
                sx, sy = source[i, 0] - q[i, 0, 0], source[i, 1] - q[i, 0, 1]
                cu, cv = u0 + ux * sx + uy * sy, v0 + vx * sx + vy * sy
                rest = max(reach - source[i, 2], 0.0)
                du, dv = rest * math.hypot(ux, uy), rest * math.hypot(vx, vy)
                top, low, left, right = min(top, cv - dv), max(low, cv + dv), min(left, cu - du), max(right, cu + du)
            i = link[i]
        if low < top:
            continue
        # The box of the circle may be far larger than the face, where UVs are stretched.
        # Never beyond the face and its gutter, however far the circle's box reaches: large tips over small faces would
        # take minutes.
        top = max(top, min(v0, v0 + v1, v0 + v2)) - pad[f]
        low = min(low, max(v0, v0 + v1, v0 + v2)) + pad[f]
        left = max(left, min(u0, u0 + u1, u0 + u2)) - pad[f]
        right = min(right, max(u0, u0 + u1, u0 + u2)) + pad[f]
        y0, y1_ = max(int(math.floor(top)), 0), min(int(math.ceil(low)) + 1, h)
        x0, x1_ = max(int(math.floor(left)), 0), min(int(math.ceil(right)) + 1, w)
        for y in range(y0, y1_):
            for x in range(x0, x1_):
                s, t, on = _texel_on(owner, uv, f, x, y)
                if not on:
                    continue
                best, bx, by = 1e30, 0.0, 0.0
                i = head
                while i >= 0:
                    gx = q[i, 0, 0] + s * (q[i, 1, 0] - q[i, 0, 0]) + t * (q[i, 2, 0] - q[i, 0, 0])
                    gy = q[i, 0, 1] + s * (q[i, 1, 1] - q[i, 0, 1]) + t * (q[i, 2, 1] - q[i, 0, 1])
                    d = along(gx, gy, window, source, i)
                    if d < best:
                        best, bx, by = d, gx, gy
                    i = link[i]
                if best > reach:
                    continue
                d = best / texel[f]
                if form == 2:
                    size = math.hypot(bx, by)
                    # The place in the tip's plane at the true distance: over an edge the straight one is too short.
                    k = best / size if size > 0 else 1.0
                    a = (bx * k / radius * side_up + 1.0) * 0.5 * side - 0.5
                    b = (by * k / radius + 1.0) * 0.5 * side - 0.5
                    ia, ib = int(math.floor(a)), int(math.floor(b))
                    fa, fb = a - ia, b - ib
                    c = 0.0
                    for jj in range(2):
                        for ii in range(2):
                            if 0 <= ib + jj < side and 0 <= ia + ii < side:
                                c += tip[ib + jj, ia + ii] * (fa if ii else 1.0 - fa) * (fb if jj else 1.0 - fb)
                    c *= flow
                elif form == 0:
                    c = min(max(0.0, min(d + 0.5, r) - max(d - 0.5, -r)), 1.0) * flow
                else:
                    z = min(d / wide, 1.0)
                    c = (1.0 - z * z * (3.0 - 2.0 * z)) * left_over
                if c <= 0:
                    continue
                if told:
                    size = math.hypot(bx, by)
                    k = best / size if size > 0 else 1.0
                    within = s > 1e-9 and t > 1e-9 and s + t < 1 - 1e-9
                    plane[y, x, 0], plane[y, x, 1], plane[y, x, 2] = bx * k, by * k, 1.0 if within else 0.0
                if build:
                    out[y, x] = 1.0 - (1.0 - out[y, x]) * (1.0 - c)
                elif c > out[y, x]:
                    out[y, x] = c
                box_top, box_low = min(box_top, y), max(box_low, y + 1)
                box_left, box_right = min(box_left, x), max(box_right, x + 1)
    return box_top, box_low, box_left, box_right


@kernel
def dabs(out, plane, owner, uv, texel, tip, form, build, pad, corners, neighbour, entry, bends, seed, rows, box):
    """Lay dabs one after the other; see `unfold` and `dab`.

    Parameters
    ----------
    seed : int64 array (n,)
        The face under each.
    rows : float64 array (n, 12)
        Middle, first and second direction of the tip's plane, radius, flow, −1 turned over.
    box : int64 array (4,)
        Widened by what is touched.
    """
    m = corners.shape[0]
    count, first = np.zeros(m, np.int32), np.full(m, -1, np.int32)
    face = np.empty(MOST_STATES, np.int64)
    q, window, source = np.empty((MOST_STATES, 3, 2)), np.empty((MOST_STATES, 4)), np.empty((MOST_STATES, 4))
    link = np.empty(MOST_STATES, np.int32)
    largest = texel.max()
    for n in range(seed.size):
        if seed[n] < 0:
            continue
        axes = rows[n, 3:9].reshape(2, 3)
        # A texel and a half more than the tip: its soft edge, and texels whose middle lies just beyond.
        far = rows[n, 9] * (1.42 if form == 2 else 1.0) + 1.5 * largest
        made = unfold(corners, neighbour, entry, bends, seed[n], rows[n, :3], axes, far, count, face, q, window, source)
        for i in range(made):
            if face[i] >= 0:
                count[face[i]] = 0
        top, low, left, right = dab(
            out,
            plane,
            owner,
            uv,
            texel,
            tip,
            form,
            build,
            pad,
            rows[n, 9],
            rows[n, 10],
            rows[n, 11],
            made,
            face,
            q,
            window,
            source,
            link,
            first,
        )
        if low > top:
            box[0], box[1] = min(box[0], top), max(box[1], low)
            box[2], box[3] = min(box[2], left), max(box[3], right)


@kernel
def fill(out, owner, uv, faces, shown, plan, pad, box):
    """Lay a plan over faces; ``shown`` (m, 3, 2): their corners as shares of it."""
    h, w = out.shape
    side = plan.shape[0]
    for n in range(faces.size):
        f = faces[n]
        top = max(int(math.floor(min(uv[f, 0, 1], uv[f, 1, 1], uv[f, 2, 1]) - pad[f])), 0)
        low = min(int(math.ceil(max(uv[f, 0, 1], uv[f, 1, 1], uv[f, 2, 1]) + pad[f])) + 1, h)
        left = max(int(math.floor(min(uv[f, 0, 0], uv[f, 1, 0], uv[f, 2, 0]) - pad[f])), 0)
        right = min(int(math.ceil(max(uv[f, 0, 0], uv[f, 1, 0], uv[f, 2, 0]) + pad[f])) + 1, w)
        for y in range(top, low):
            for x in range(left, right):
                s, t, on = _texel_on(owner, uv, f, x, y)
                if not on:
                    continue
                a = shown[f, 0, 0] + s * (shown[f, 1, 0] - shown[f, 0, 0]) + t * (shown[f, 2, 0] - shown[f, 0, 0])
                b = shown[f, 0, 1] + s * (shown[f, 1, 1] - shown[f, 0, 1]) + t * (shown[f, 2, 1] - shown[f, 0, 1])
                a, b = a * side - 0.5, b * side - 0.5
                ia, ib = int(math.floor(a)), int(math.floor(b))
                fa, fb = a - ia, b - ib
                c = 0.0
                for jj in range(2):
                    for ii in range(2):
                        if 0 <= ib + jj < side and 0 <= ia + ii < side:
                            c += plan[ib + jj, ia + ii] * (fa if ii else 1.0 - fa) * (fb if jj else 1.0 - fb)
                if c > out[y, x]:
                    out[y, x] = c
                    box[0], box[1] = min(box[0], y), max(box[1], y + 1)
                    box[2], box[3] = min(box[2], x), max(box[3], x + 1)

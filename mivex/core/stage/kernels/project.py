"""From meshes to convex polygons on screen.

References
----------
Heckbert (1989), *Fundamentals of Texture Mapping and Image Warping*: values that are straight in the world are,
divided by w, planes over the screen.
"""

import math

import numpy as np

from mivex.core.base.compile import kernel
from mivex.core.pixels.kernels.sampling import high_of, level_of, levels_of, wide_of


@kernel
def _same_face(position, uv, tint, index, facts, t):
    """Whether triangles ``t`` and ``t + 1`` are the halves of one parallelogram."""
    if t + 1 >= index.shape[0] or index[t, 0] != index[t + 1, 0] or index[t, 2] != index[t + 1, 1]:
        return False
    if facts.shape[0] > 1:
        for k in range(5):
            if facts[t, k] != facts[t + 1, k]:
                return False
    a, b, c, d = index[t, 0], index[t, 1], index[t, 2], index[t + 1, 2]
    for k in range(3):
        if abs(position[a, k] + position[c, k] - position[b, k] - position[d, k]) > 1e-9:
            return False
    for k in range(2):
        if abs(uv[a, k] + uv[c, k] - uv[b, k] - uv[d, k]) > 1e-9:
            return False
    if tint.shape[0] > 1:
        for k in range(4):
            if abs(tint[a, k] + tint[c, k] - tint[b, k] - tint[d, k]) > 1e-9:
                return False
    return True


@kernel
def _axes(position, uv, index, t, draw, out):
    """Where u and minus v run in the world, as unit vectors; nothing where the UVs have no area."""
    a, b, c = index[t, 0], index[t, 1], index[t, 2]
    p0, p1 = uv[b, 0] - uv[a, 0], uv[b, 1] - uv[a, 1]
    q0, q1 = uv[c, 0] - uv[a, 0], uv[c, 1] - uv[a, 1]
    u1, u2 = draw.u[0] * p0 + draw.u[1] * p1, draw.u[0] * q0 + draw.u[1] * q1
    v1, v2 = draw.v[0] * p0 + draw.v[1] * p1, draw.v[0] * q0 + draw.v[1] * q1
    det = u1 * v2 - u2 * v1
    if abs(det) < 1e-20:
        return
    la = ld = 0.0
    for k in range(3):
        e, f = position[b, k] - position[a, k], position[c, k] - position[a, k]
        along, down = (e * v2 - f * v1) / det, (f * u1 - e * u2) / det
        la += along * along
        ld += down * down
        out.along[k], out.upward[k] = np.float32(along), np.float32(-down)
    for k in range(3):
        out.along[k] = out.along[k] / np.float32(math.sqrt(la)) if la > 0 else np.float32(0)
        out.upward[k] = out.upward[k] / np.float32(math.sqrt(ld)) if ld > 0 else np.float32(0)


@kernel
def project(position, normal, uv, tint, index, facts, draws, number, view, lens, out, at, ordered):
    """Bring a mesh to the screen, cut at the near plane; returns how many polygons there are then.

    Parameters
    ----------
    position, normal : float64 arrays (n, 3)
        In the world, metres; unit normals.
    uv : float64 array (n, 2)
    tint : float64 array (n, 4), or (1, 4) where all corners have the same
    index : int64 array (m, 3)
        Counter-clockwise as seen from the front.
    facts : float64 array (m, 9), or (1, 9) where all triangles have the same
        See `mesh.FACTS`.
    draws, number : DRAW array and the place of this draw in it
    view : float64 array (3, 4)
        World to camera: right, up, forward.
    lens : float64 array (4,)
        Focal length and centre in pixels, and the near distance.
    out : POLY array
    at : int
        Where to begin in ``out``.
    ordered : bool
        No perspective: values are straight on screen, and the first is the nearness, −z.
    """
    draw = draws[number]
    fx, cx, cy, near = lens[0], lens[1], lens[2], lens[3]
    cam = np.empty((4, 12))
    poly = np.empty((10, 12))
    count = at
    t = 0
    while t < index.shape[0]:
        # Two triangles of one parallelogram are drawn as one polygon: half the rows to begin, no edge in its middle.
        four = _same_face(position, uv, tint, index, facts, t)
        n = 4 if four else 3
        inside = 0
        for k in range(n):
            i = index[t, k] if k < 3 else index[t + 1, 2]
            for j in range(3):
                # Rounded as hardware does: of two faces in one plane chance then decides, pixel by pixel.
                cam[k, j] = np.float32(
                    view[j, 0] * position[i, 0] + view[j, 1] * position[i, 1] + view[j, 2] * position[i, 2] + view[j, 3]
                )
                cam[k, 5 + j] = normal[i, j]
            cam[k, 3] = draw.u[0] * uv[i, 0] + draw.u[1] * uv[i, 1] + draw.u[2]
            cam[k, 4] = draw.v[0] * uv[i, 0] + draw.v[1] * uv[i, 1] + draw.v[2]
            for j in range(4):
                cam[k, 8 + j] = tint[i if tint.shape[0] > 1 else 0, j]
            if ordered or cam[k, 2] >= near:
                inside += 1
        first = t
        t += 2 if four else 1
        if inside == 0:
            continue
        m = 0
        for k in range(n):
            j = (k + 1) % n
            if ordered or cam[k, 2] >= near:
                for i in range(12):
                    poly[m, i] = cam[k, i]
                m += 1
            if not ordered and (cam[k, 2] >= near) != (cam[j, 2] >= near):
                # The same crossing whichever way the edge is walked, so that neighbours stay joined.
                p, q = (k, j) if cam[k, 2] < cam[j, 2] else (j, k)
                f = (near - cam[p, 2]) / (cam[q, 2] - cam[p, 2])
                for i in range(12):
                    poly[m, i] = cam[p, i] + (cam[q, i] - cam[p, i]) * f
                m += 1
        if m < 3:
            continue
        o = out[count]
        area = 0.0
        for k in range(m):
            iw = 1.0 if ordered else 1.0 / poly[k, 2]
            o.x[k], o.y[k] = cx + fx * poly[k, 0] * iw, cy - fx * poly[k, 1] * iw
        # Steps per pixel are solved from the largest triangle of the fan: a thin one would blow rounding up.
        best, bk = 0.0, 1
        for k in range(1, m - 1):
            part = (o.x[k] - o.x[0]) * (o.y[k + 1] - o.y[0]) - (o.y[k] - o.y[0]) * (o.x[k + 1] - o.x[0])
            area += part
            if abs(part) > best:
                best, bk = abs(part), k
        # On screen y runs down: counter-clockwise in the world has negative area.
        if best == 0 or not (draw.both or area < 0):
            continue
        o.draw, o.corners, o.back = number, m, area > 0
        o.top = o.left = math.inf
        o.bottom = o.right = -math.inf
        for k in range(m):
            o.top, o.bottom = min(o.top, o.y[k]), max(o.bottom, o.y[k])
            o.left, o.right = min(o.left, o.x[k]), max(o.right, o.x[k])
            j = (k + 1) % m
            x0, y0, x1, y1 = o.x[k], o.y[k], o.x[j], o.y[j]
            # Always walked downwards, so that both sides of an edge see the same crossing.
            if y0 > y1 or (y0 == y1 and x0 > x1):
                x0, y0, x1, y1 = x1, y1, x0, y0
            o.slope[k] = (x1 - x0) / (y1 - y0) if y1 > y0 else 0.0
        o.at_x, o.at_y = o.x[0], o.y[0]
        ax, ay = o.x[bk] - o.x[0], o.y[bk] - o.y[0]
        bx, by = o.x[bk + 1] - o.x[0], o.y[bk + 1] - o.y[0]
        inv = 1.0 / (ax * by - ay * bx)
        flat = True
        for k in range(1, m):
            flat = flat and poly[k, 2] == poly[0, 2]
        o.flat = flat and not ordered
        for j in range(10):
            if ordered:
                va = -poly[0, 2] if j == 0 else poly[0, 2 + j]
                vb = -poly[bk, 2] if j == 0 else poly[bk, 2 + j]
                vc = -poly[bk + 1, 2] if j == 0 else poly[bk + 1, 2 + j]
            else:
                va = (1.0 if j == 0 else poly[0, 2 + j]) / poly[0, 2]
                vb = (1.0 if j == 0 else poly[bk, 2 + j]) / poly[bk, 2]
                vc = (1.0 if j == 0 else poly[bk + 1, 2 + j]) / poly[bk + 1, 2]
            da, db = vb - va, vc - va
            o.value[j] = va
            o.across[j] = (da * by - db * ay) * inv
            o.down[j] = (db * ax - da * bx) * inv
        if o.flat:
            # A panel square to the view has one depth: no division a pixel, and one level of detail.
            o.across[0], o.down[0] = 0.0, 0.0
            chain = draw.chain[0]
            z = poly[0, 2]
            w0, h0 = wide_of(chain, 0), high_of(chain, 0)
            rho2 = (
                max((o.across[1] * w0) ** 2 + (o.across[2] * h0) ** 2, (o.down[1] * w0) ** 2 + (o.down[2] * h0) ** 2)
                * z
                * z
            )
            # Within a thousandth of one texel a pixel the finest level counts alone: rounding must not blur a panel that
            # is drawn one to one.
            o.level, o.share = level_of(np.float32(rho2 if rho2 > 1.001 else 1.0), levels_of(chain) - 1)
        o.bias, o.face = draw.bias, first
        for k in range(facts.shape[1]):
            o.own[k] = np.float32(facts[first if facts.shape[0] > 1 else 0, k])
        if draw.slope > 0 and not ordered:
            # The change of depth per pixel at its middle: 1/w is straight on screen, w is not.
            mx, my = 0.0, 0.0
            for k in range(m):
                mx, my = mx + o.x[k] / m, my + o.y[k] / m
            iw = o.value[0] + o.across[0] * (mx - o.at_x) + o.down[0] * (my - o.at_y)
            o.bias += np.float32(draw.slope * max(abs(o.across[0]), abs(o.down[0])) / max(iw * iw, 1e-12))
        if draw.normal_slot >= 0:
            for k in range(3):
                o.along[k], o.upward[k] = np.float32(0), np.float32(0)
            _axes(position, uv, index, first, draw, o)
        count += 1
    return count

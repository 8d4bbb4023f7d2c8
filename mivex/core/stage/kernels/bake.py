"""Kernels of `mivex.core.stage.baking`."""

import math

from mivex.core.base.compile import kernel


@kernel
def faces_rows(uv, index, face, first_w, second_w, first, last):
    """Which triangle covers each texel's centre, and the weights of its second and third corners; −1: none.

    ``uv`` (n, 2) in texels; where several lie over one another the first counts.
    """
    _, w = face.shape
    for k in range(index.shape[0]):
        ax, ay = uv[index[k, 0], 0], uv[index[k, 0], 1]
        bx, by = uv[index[k, 1], 0], uv[index[k, 1], 1]
        cx, cy = uv[index[k, 2], 0], uv[index[k, 2], 1]
        area = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax)
        if abs(area) < 1e-12:
            continue
        top = max(first, int(math.floor(min(ay, by, cy))))
        low = min(last, int(math.ceil(max(ay, by, cy))) + 1)
        left = max(0, int(math.floor(min(ax, bx, cx))))
        right = min(w, int(math.ceil(max(ax, bx, cx))) + 1)
        for y in range(top, low):
            py = y + 0.5 - ay
            for x in range(left, right):
                if face[y, x] >= 0:
                    continue
                px = x + 0.5 - ax
                s = (px * (cy - ay) - py * (cx - ax)) / area
                t = (py * (bx - ax) - px * (by - ay)) / area
                if s >= -1e-9 and t >= -1e-9 and s + t <= 1 + 1e-9:
                    face[y, x] = k
                    first_w[y, x], second_w[y, x] = s, t


@kernel
def aim_rays(origin, across, along, way, about, lift, begin, ray):
    """Rays of every spot, one after the other: where they begin, ``lift`` above the surface, and where they go.

    Worked out in float64 and rounded once: the rays are cast in single precision, and one that begins a rounding too low
    would meet its own face.
    """
    rays = about.shape[0]
    for i in range(origin.shape[0]):
        for k in range(rays):
            n = i * rays + k
            for j in range(3):
                begin[n, j] = origin[i, j] + way[i, j] * lift
                ray[n, j] = across[i, j] * about[k, 0] + along[i, j] * about[k, 1] + way[i, j] * about[k, 2]


@kernel
def lie_rows(rows, columns, face, second, third, index, corner, normal, weights, position, out, first, last):
    """Where spots ``first`` to ``last`` lie on a mesh: weights of the three corners, place and unit normal."""
    for i in range(first, last):
        y, x = rows[i], columns[i]
        k, b, c = face[y, x], second[y, x], third[y, x]
        a = 1 - b - c
        weights[i, 0], weights[i, 1], weights[i, 2] = a, b, c
        p, q, r = index[k, 0], index[k, 1], index[k, 2]
        long = 0.0
        for j in range(3):
            position[i, j] = corner[p, j] * a + corner[q, j] * b + corner[r, j] * c
            out[i, j] = normal[p, j] * a + normal[q, j] * b + normal[r, j] * c
            long += out[i, j] * out[i, j]
        # Normals of opposite corners may cancel: then there is none, and it stays as long as it is, next to nothing.
        long = max(math.sqrt(long), 1e-12)
        for j in range(3):
            out[i, j] /= long

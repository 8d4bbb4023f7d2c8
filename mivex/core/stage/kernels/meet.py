"""Where rays meet triangles.

References
----------
Möller and Trumbore (1997), *Fast, Minimum Storage Ray/Triangle Intersection*.
"""

import math

from mivex.core.base.compile import kernel


@kernel
def nearest(position, index, ox, oy, oz, rx, ry, rz):
    """Nearest crossing of one ray: distance, triangle, weights of its second and third corner; triangle −1 for none."""
    best, which, wb, wc = math.inf, -1, 0.0, 0.0
    for t in range(index.shape[0]):
        a, b, c = index[t, 0], index[t, 1], index[t, 2]
        ax, ay, az = position[a, 0], position[a, 1], position[a, 2]
        ex, ey, ez = position[b, 0] - ax, position[b, 1] - ay, position[b, 2] - az
        fx, fy, fz = position[c, 0] - ax, position[c, 1] - ay, position[c, 2] - az
        px, py, pz = ry * fz - rz * fy, rz * fx - rx * fz, rx * fy - ry * fx
        det = ex * px + ey * py + ez * pz
        if abs(det) <= 1e-12:
            continue
        inv = 1.0 / det
        sx, sy, sz = ox - ax, oy - ay, oz - az
        u = (sx * px + sy * py + sz * pz) * inv
        if u < 0 or u > 1:
            continue
        qx, qy, qz = sy * ez - sz * ey, sz * ex - sx * ez, sx * ey - sy * ex
        v = (rx * qx + ry * qy + rz * qz) * inv
        if v < 0 or u + v > 1:
            continue
        d = (fx * qx + fy * qy + fz * qz) * inv
        if 1e-4 < d < best:
            best, which, wb, wc = d, t, u, v
    return best, which, wb, wc

"""Prefiltering an environment, and the table of the integrated reflectance.

References
----------
Karis (2013), in the course *Physically Based Shading in Theory and Practice*: the reflected sky is weighted as if
looked at along the normal; the table holds what an even sky would give.
"""

import math

import numpy as np

from mivex.core.base.compile import kernel
from mivex.core.pixels.kernels.lanes import add4, blue4, fma4, green4, make4, mul4, red4, splat4, store4
from mivex.core.stage.kernels.light import octahedron, read_map


@kernel
def direction(u, v):
    """Unit direction of a place on the unfolded octahedron; the inverse of `octahedron`."""
    p, q = 2 * u - 1, 2 * v - 1
    y = 1 - abs(p) - abs(q)
    if y < 0:
        a = (1 - abs(q)) * (1.0 if p >= 0 else -1.0)
        b = (1 - abs(p)) * (1.0 if q >= 0 else -1.0)
        p, q = a, b
    s = 1 / math.sqrt(p * p + y * y + q * q)
    return p * s, y * s, q * s


@kernel
def _frame(x, y, z):
    """Two unit vectors that stand on a direction and on each other."""
    if abs(y) < 0.9:
        s = 1 / math.sqrt(x * x + z * z)
        ax, ay, az = z * s, 0.0, -x * s
    else:
        s = 1 / math.sqrt(y * y + z * z)
        ax, ay, az = 0.0, -z * s, y * s
    return ax, ay, az, y * az - z * ay, z * ax - x * az, x * ay - y * ax


@kernel
def gather(source, size, cosines, weights, turns, out, side, first, last):
    """Weighted mean of a map over rings round each direction, for rows ``first`` to ``last`` of the inner texels.

    Parameters
    ----------
    source : float32 array (size + 2, size + 2, 4)
    cosines, weights : float64 arrays (rings,)
        Cosine of each ring's angle from the direction, and its share; the shares sum to 1.
    turns : int
        Places on each ring.
    out : float32 array (side + 2, side + 2, 4)
    """
    at = np.uint64(source.ctypes.data)
    to = np.uint64(out.ctypes.data)
    for j in range(first, last):
        for i in range(side):
            x, y, z = direction((i + 0.5) / side, (j + 0.5) / side)
            ax, ay, az, bx, by, bz = _frame(x, y, z)
            total = splat4(np.float32(0))
            for r in range(cosines.size):
                c = cosines[r]
                s = math.sqrt(max(0.0, 1 - c * c))
                ring = splat4(np.float32(0))
                for k in range(turns):
                    # Each ring is turned by another share, so that their places do not line up.
                    t = 2 * math.pi * (k + (r * 0.381966) % 1.0) / turns
                    p, q = s * math.cos(t), s * math.sin(t)
                    u, v = octahedron(
                        np.float32(x * c + ax * p + bx * q),
                        np.float32(y * c + ay * p + by * q),
                        np.float32(z * c + az * p + bz * q),
                    )
                    ring = add4(ring, read_map(at, size, u, v))
                total = fma4(ring, splat4(np.float32(weights[r] / turns)), total)
            total = mul4(total, make4(np.float32(1), np.float32(1), np.float32(1), np.float32(0)))
            store4(
                to + np.uint64(((j + 1) * (side + 2) + i + 1) * 16),
                make4(red4(total), green4(total), blue4(total), np.float32(1)),
            )


@kernel
def integrate(out, steps, turns, first, last):
    """Rows ``first`` to ``last`` of the table (n, n, 2): rows by roughness, columns by n·v.

    The half vector is drawn by the facets' own distribution, at the middles of equal shares.
    """
    n = out.shape[0]
    for j in range(first, last):
        a = ((j + 0.5) / n) ** 2
        a2 = a * a
        for i in range(n):
            nv = (i + 0.5) / n
            vx, vy = math.sqrt(1 - nv * nv), nv
            scale = shift = 0.0
            for r in range(steps):
                e = (r + 0.5) / steps
                c = math.sqrt((1 - e) / (1 + (a2 - 1) * e))
                s = math.sqrt(max(0.0, 1 - c * c))
                for k in range(turns):
                    hx = s * math.cos(math.pi * (k + 0.5) / turns)
                    vh = vx * hx + vy * c
                    nl = 2 * vh * c - nv
                    if nl > 0 and vh > 0:
                        g = nl * math.sqrt(nv * nv * (1 - a2) + a2) + nv * math.sqrt(nl * nl * (1 - a2) + a2)
                        # G / (4 nl nv) = 0.5 / g, over the chance D·nh / (4 vh), times nl.
                        w = 0.5 / g * nl * 4 * vh / c
                        f = (1 - vh) ** 5
                        scale += (1 - f) * w
                        shift += f * w
            out[j, i, 0] = scale / (steps * turns)
            out[j, i, 1] = shift / (steps * turns)

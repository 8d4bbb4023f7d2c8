"""Moving particles, step by step, each on its own.

References
----------
Within a step acceleration, drag and wind are steady, and the step is that equation's exact solution; see `advance`.
"""

import math

import numpy as np

from mivex.core.base.compile import inlined, kernel

(
    GRAVITY_X,
    GRAVITY_Y,
    GRAVITY_Z,
    PUSH_X,
    PUSH_Y,
    PUSH_Z,
    DRAG,
    LIMIT,
    SWIRL,
    DRIFT,
    DRIFT_SCALE,
    DRIFT_RATE,
    WIND,
    WIND_X,
    WIND_Y,
    WIND_Z,
    SOLIDS,
    BOUNCE,
    RUB,
    AXIS_X,
    AXIS_Y,
    AXIS_Z,
    AT_X,
    AT_Y,
    AT_Z,
    FACTORS,
    PUSHED,
) = range(27)
"""Places in the record of forces."""
SPIN_ROW, SPEED_ROW, PUSH_ROW = 0, 1, 4
"""Rows of the tables: spin, speed along three axes, push."""


@kernel
def allowed(born, dies, most):
    """Which births the greatest number of living ones lets through; births in the order of their times."""
    n = born.shape[0]
    keep = np.zeros(n, np.bool_)
    # A heap of the times at which they die, the earliest on top (Williams 1964): only that one has to be looked at.
    heap = np.empty(max(most, 1))
    count = 0
    for i in range(n):
        # Those that are dead by now make room; their times come off the top of the heap.
        while count > 0 and heap[0] <= born[i]:
            count -= 1
            last, k = heap[count], 0
            while True:
                child = 2 * k + 1
                if child >= count:
                    break
                if child + 1 < count and heap[child + 1] < heap[child]:
                    child += 1
                if heap[child] >= last:
                    break
                heap[k] = heap[child]
                k = child
            heap[k] = last
        # Room is left: the newborn's own death joins the heap, and rises to its place.
        if count < most:
            k = count
            while k > 0 and heap[(k - 1) // 2] > dies[i]:
                heap[k] = heap[(k - 1) // 2]
                k = (k - 1) // 2
            heap[k] = dies[i]
            count += 1
            keep[i] = True
    return keep


@inlined
def _lattice(x, y, z, seed):
    # Unsigned arithmetic that wraps, as graphics hardware and JavaScript have it: the page draws the same noise.
    low = np.uint64(0xFFFFFFFF)
    h = (
        (np.uint64(x) * np.uint64(0x9E3779B1) & low)
        ^ (np.uint64(y) * np.uint64(0x85EBCA77) & low)
        ^ (np.uint64(z) * np.uint64(0xC2B2AE3D) & low)
        ^ np.uint64(seed)
    )
    h = ((h ^ (h >> np.uint64(15))) * np.uint64(0x2C1B3C6D)) & low
    h = ((h ^ (h >> np.uint64(12))) * np.uint64(0x297A2D39)) & low
    h = h ^ (h >> np.uint64(15))
    return float(h & np.uint64(0xFFFF)) / 32767.5 - 1.0


@kernel
def noise(x, y, z, seed):
    """Values at lattice points, eased between (Perlin 2002); −1 to 1."""
    fx, fy, fz = math.floor(x), math.floor(y), math.floor(z)
    ix, iy, iz = np.int64(fx), np.int64(fy), np.int64(fz)
    tx, ty, tz = x - fx, y - fy, z - fz
    tx = tx * tx * tx * (tx * (tx * 6 - 15) + 10)
    ty = ty * ty * ty * (ty * (ty * 6 - 15) + 10)
    tz = tz * tz * tz * (tz * (tz * 6 - 15) + 10)
    total = 0.0
    # Eight corners: bit 0 of the number steps along x, bit 1 along y, bit 2 along z.
    for k in range(8):
        i, j, m = k & 1, (k >> 1) & 1, k >> 2
        w = (tx if i else 1 - tx) * (ty if j else 1 - ty) * (tz if m else 1 - tz)
        total += w * _lattice(ix + i, iy + j, iz + m, seed)
    return total


@inlined
def _read(table, row, share):
    # A table of even places; shares between 0 and 1.
    # The last place belongs to the last piece, so that a share of 1 reads no place beyond the table.
    n = table.shape[1] - 1
    x = min(max(share, 0.0), 1.0) * n
    i = min(int(x), n - 1)
    return table[row, i] + (table[row, i + 1] - table[row, i]) * (x - i)


@kernel
def meets(grid, cells, lists, triangles, a, b, out):
    """Where a short way from ``a`` to ``b`` first meets a triangle: share of the way, its normal in ``out``; 2: nowhere.

    ``grid``: corner and size of the cells, and how many along each axis; ``cells``: where each cell's list begins.
    """
    nx, ny, nz = int(grid[4]), int(grid[5]), int(grid[6])
    size = grid[3]
    best = 2.0
    lo = np.empty(3, np.int64)
    hi = np.empty(3, np.int64)
    # Only the cells of the box round the way: a tick's way is short, and seldom leaves one cell.
    for k in range(3):
        n = nx if k == 0 else ny if k == 1 else nz
        low, high = min(a[k], b[k]), max(a[k], b[k])
        lo[k] = max(int(math.floor((low - grid[k]) / size)), 0)
        hi[k] = min(int(math.floor((high - grid[k]) / size)), n - 1)
        if lo[k] > hi[k]:
            return best
    dx, dy, dz = b[0] - a[0], b[1] - a[1], b[2] - a[2]
    for cz in range(lo[2], hi[2] + 1):
        for cy in range(lo[1], hi[1] + 1):
            for cx in range(lo[0], hi[0] + 1):
                c = (cz * ny + cy) * nx + cx
                for q in range(cells[c], cells[c + 1]):
                    t = triangles[lists[q]]
                    # Möller and Trumbore (1997).
                    e1x, e1y, e1z = t[1, 0] - t[0, 0], t[1, 1] - t[0, 1], t[1, 2] - t[0, 2]
                    e2x, e2y, e2z = t[2, 0] - t[0, 0], t[2, 1] - t[0, 1], t[2, 2] - t[0, 2]
                    px, py, pz = dy * e2z - dz * e2y, dz * e2x - dx * e2z, dx * e2y - dy * e2x
                    det = e1x * px + e1y * py + e1z * pz
                    # Along the plane of the triangle: it is met at its edge or not at all, and another triangle says
                    # which.
                    if abs(det) < 1e-15:
                        continue
                    sx, sy, sz = a[0] - t[0, 0], a[1] - t[0, 1], a[2] - t[0, 2]
                    u = (sx * px + sy * py + sz * pz) / det
                    # A little beyond the edge counts, so that nothing slips through between two triangles.
                    if u < -1e-9 or u > 1 + 1e-9:
                        continue
                    rx, ry, rz = sy * e1z - sz * e1y, sz * e1x - sx * e1z, sx * e1y - sy * e1x
                    v = (dx * rx + dy * ry + dz * rz) / det
                    if v < -1e-9 or u + v > 1 + 1e-9:
                        continue
                    w = (e2x * rx + e2y * ry + e2z * rz) / det
                    if 0 <= w <= 1 and w < best:
                        best = w
                        mx, my, mz = e1y * e2z - e1z * e2y, e1z * e2x - e1x * e2z, e1x * e2y - e1y * e2x
                        inv = 1 / math.sqrt(max(mx * mx + my * my + mz * mz, 1e-30))
                        # The normal towards where the particle came from: solids are met from either side.
                        if mx * dx + my * dy + mz * dz > 0:
                            inv = -inv
                        out[0], out[1], out[2] = mx * inv, my * inv, mz * inv
    return best


@inlined
def damped(k, t):
    """``exp(−k t)``, ``h = (1 − exp(−k t)) / k`` and ``g = (t − h) / k``; by their series where drag is next to nothing."""
    x = k * t
    # One division by k less than a hundredth would lose half of the digits that the difference needs.
    if x < 1e-2:
        # To x⁶: beyond that nothing is left in double precision.
        h = t * (1 - x / 2 * (1 - x / 3 * (1 - x / 4 * (1 - x / 5 * (1 - x / 6)))))
        g = t * t / 2 * (1 - x / 3 * (1 - x / 4 * (1 - x / 5 * (1 - x / 6 * (1 - x / 7)))))
        return math.exp(-x), h, g
    h = -math.expm1(-x) / k
    return math.exp(-x), h, (t - h) / k


@kernel
def shown_speed(place, speed, share, time, force, tables, seed, out):
    """How fast particles are seen to go at a time: their own speed by its factors, with what carries and turns them.

    Parameters
    ----------
    place, speed : float64 arrays (n, 3)
    share : float64 array (n,)
        Of each one's life.
    time : float
    force, tables, seed :
        As in `advance`.
    out : float64 array (n, 3)
    """
    for i in range(place.shape[0]):
        x, y, z = place[i, 0], place[i, 1], place[i, 2]
        vx, vy, vz = speed[i, 0], speed[i, 1], speed[i, 2]
        if force[FACTORS] > 0:
            vx *= _read(tables, SPEED_ROW, share[i])
            vy *= _read(tables, SPEED_ROW + 1, share[i])
            vz *= _read(tables, SPEED_ROW + 2, share[i])
        if force[DRIFT] > 0:
            # Each axis has a noise of its own, scrolled along itself: the same seed would drift along the diagonal.
            c, m = force[DRIFT_SCALE], time * force[DRIFT_RATE]
            vx += force[DRIFT] * noise(x * c + m, y * c, z * c, seed)
            vy += force[DRIFT] * noise(x * c, y * c + m, z * c, seed + 7919)
            vz += force[DRIFT] * noise(x * c, y * c, z * c + m, seed + 104729)
        if force[LIMIT] > 0:
            s = math.sqrt(vx * vx + vy * vy + vz * vz)
            if s > force[LIMIT]:
                s = force[LIMIT] / s
                vx, vy, vz = vx * s, vy * s, vz * s
        # The swirl turns what the limit has left: it carries, and does not count as the particle's own speed.
        if force[SWIRL] != 0:
            w = math.radians(force[SWIRL])
            rx, ry, rz = x - force[AT_X], y - force[AT_Y], z - force[AT_Z]
            ax, ay, az = force[AXIS_X], force[AXIS_Y], force[AXIS_Z]
            vx, vy, vz = vx + w * (ay * rz - az * ry), vy + w * (az * rx - ax * rz), vz + w * (ax * ry - ay * rx)
        out[i, 0], out[i, 1], out[i, 2] = vx, vy, vz


@kernel
def advance(place, speed, turn, when, born, life, spin, to, step, force, tables, seed, dead, grid, cells, lists, triangles):
    """Bring particles from where they are to a later time, in steps that end on whole ticks.

    Within a step, with drag ``k``, wind ``w`` taken on at a rate ``q`` and acceleration ``a``, all steady,
    ``dv/dt = a − k v − q (v − w)``. Let ``K = k + q``, ``A = a + q w``, ``h = (1 − exp(−K t)) / K`` and
    ``g = (t − h) / K``; then after ``t`` ``v = v0 exp(−K t) + A h`` and ``x = x0 + v0 h + A g``: see `damped`.
    Without either, ``v = v0 + a t`` and ``x = x0 + v0 t + a t² / 2``.

    Parameters
    ----------
    place, speed : float64 arrays (n, 3)
        Metres, metres a second; changed.
    turn, when : float64 arrays (n,)
        Degrees; the time that each stands at, seconds; changed.
    born, life, spin : float64 arrays (n,)
    to : float
        Time to bring them to.
    step : float
        Seconds of a tick.
    force : float64 array (27,)
        See the names above.
    tables : float64 array (5, m)
        Factors over a life: spin, speed along x, y, z, push.
    seed : int
        Of the noise that carries them.
    dead : bool array (n,)
        Those that died on something solid; changed.
    grid, cells, lists, triangles :
        What is solid; see `meets`.
    """
    a0, b0, normal = np.empty(3), np.empty(3), np.empty(3)
    ax, ay, az = force[AXIS_X], force[AXIS_Y], force[AXIS_Z]
    for i in range(place.shape[0]):
        if dead[i]:
            continue
        t = when[i]
        x, y, z = place[i, 0], place[i, 1], place[i, 2]
        # A rounding error of a tick must not add a step of no length.
        vx, vy, vz = speed[i, 0], speed[i, 1], speed[i, 2]
        now = turn[i]
        while t < to - 1e-9:
            # Up to the next tick, so that steps are the same however often it is asked.
            end = min((math.floor(t / step + 1e-6) + 1) * step, to)
            dt = end - t
            # In the middle of the step: a mean of the curve over it, to second order.
            share = ((t + end) / 2 - born[i]) / life[i]
            p = _read(tables, PUSH_ROW, share) if force[PUSHED] > 0 else 1.0
            gx, gy, gz = (
                force[GRAVITY_X] + p * force[PUSH_X],
                force[GRAVITY_Y] + p * force[PUSH_Y],
                force[GRAVITY_Z] + p * force[PUSH_Z],
            )
            k = force[DRAG] + force[WIND]
            # With drag or wind the step is exact for steady forces, whatever its length.
            if k > 0:
                q = force[WIND]
                hx, hy, hz = gx + q * force[WIND_X], gy + q * force[WIND_Y], gz + q * force[WIND_Z]
                f, h, g = damped(k, dt)
                dx, dy, dz = vx * h + hx * g, vy * h + hy * g, vz * h + hz * g
                vx, vy, vz = vx * f + hx * h, vy * f + hy * h, vz * f + hz * h
            else:
                dx, dy, dz = vx * dt + gx * dt * dt / 2, vy * dt + gy * dt * dt / 2, vz * dt + gz * dt * dt / 2
                vx, vy, vz = vx + gx * dt, vy + gy * dt, vz + gz * dt
            # The own speed first: factors and drift come on top and are limited again as a whole below.
            if force[LIMIT] > 0:
                s = math.sqrt(vx * vx + vy * vy + vz * vz)
                if s > force[LIMIT]:
                    s = force[LIMIT] / s
                    vx, vy, vz = vx * s, vy * s, vz * s
            if force[FACTORS] > 0:
                dx *= _read(tables, SPEED_ROW, share)
                dy *= _read(tables, SPEED_ROW + 1, share)
                dz *= _read(tables, SPEED_ROW + 2, share)
            if force[DRIFT] > 0:
                c, m = force[DRIFT_SCALE], (t + end) / 2 * force[DRIFT_RATE]
                s = force[DRIFT] * dt
                dx += s * noise(x * c + m, y * c, z * c, seed)
                dy += s * noise(x * c, y * c + m, z * c, seed + 7919)
                dz += s * noise(x * c, y * c, z * c + m, seed + 104729)
            if force[LIMIT] > 0:
                # What is seen to move: factors and the noise that carries it counted in.
                s = math.sqrt(dx * dx + dy * dy + dz * dz)
                if s > force[LIMIT] * dt:
                    s = force[LIMIT] * dt / s
                    dx, dy, dz = dx * s, dy * s, dz * s
            if force[SWIRL] != 0:
                # Turned about the axis (Rodrigues 1840): where it is, and which way it goes.
                w = math.radians(force[SWIRL]) * dt
                c, s = math.cos(w), math.sin(w)
                rx, ry, rz = x + dx - force[AT_X], y + dy - force[AT_Y], z + dz - force[AT_Z]
                d = (ax * rx + ay * ry + az * rz) * (1 - c)
                nx, ny, nz = (
                    rx * c + (ay * rz - az * ry) * s + ax * d,
                    ry * c + (az * rx - ax * rz) * s + ay * d,
                    rz * c + (ax * ry - ay * rx) * s + az * d,
                )
                dx, dy, dz = nx + force[AT_X] - x, ny + force[AT_Y] - y, nz + force[AT_Z] - z
                d = (ax * vx + ay * vy + az * vz) * (1 - c)
                vx, vy, vz = (
                    vx * c + (ay * vz - az * vy) * s + ax * d,
                    vy * c + (az * vx - ax * vz) * s + ay * d,
                    vz * c + (ax * vy - ay * vx) * s + az * d,
                )
            if force[SOLIDS] > 0:
                a0[0], a0[1], a0[2] = x, y, z
                b0[0], b0[1], b0[2] = x + dx, y + dy, z + dz
                met = meets(grid, cells, lists, triangles, a0, b0, normal)
                if met <= 1:
                    if force[SOLIDS] > 1:
                        x, y, z = x + dx * met, y + dy * met, z + dz * met
                        dead[i] = True
                        break
                    # A tenth of a millimetre: the next step begins outside, and does not meet the same triangle at
                    # once.
                    # It stays a little off the surface, and goes on from there in the next step.
                    dx, dy, dz = dx * met + normal[0] * 1e-4, dy * met + normal[1] * 1e-4, dz * met + normal[2] * 1e-4
                    d = vx * normal[0] + vy * normal[1] + vz * normal[2]
                    # Only into the surface: what already leaves it is left alone.
                    if d < 0:
                        keep = 1 - force[RUB]
                        vx, vy, vz = (
                            (vx - d * normal[0]) * keep - d * normal[0] * force[BOUNCE],
                            (vy - d * normal[1]) * keep - d * normal[1] * force[BOUNCE],
                            (vz - d * normal[2]) * keep - d * normal[2] * force[BOUNCE],
                        )
            x, y, z = x + dx, y + dy, z + dz
            now += spin[i] * _read(tables, SPIN_ROW, share) * dt
            t = end
        place[i, 0], place[i, 1], place[i, 2] = x, y, z
        speed[i, 0], speed[i, 1], speed[i, 2] = vx, vy, vz
        turn[i], when[i] = now, t

"""Kernels of `mivex.core.stage.surface_strokes`: a plane unfolded over the faces of a mesh.

Distances along the surface are kept by windows: the part of an edge that is seen in a straight line over the unfolded
faces before it (Mitchell, Mount and Papadimitriou 1987, *The Discrete Geodesic Problem*). Where nothing is seen in a
straight line the way goes by the end of a window, which is never shorter than the shortest way.
"""

import heapq
import math

from mivex.core.base.compile import inlined, kernel

MOST_STATES, PER_FACE = 8192, 8
"""Windows of one dab, and of one face of it; more lie behind each other on a surface that is finer than the tip."""


@inlined
def _cross(ax, ay, bx, by):
    return ax * by - ay * bx


@inlined
def _to_segment(px, py, ax, ay, bx, by):
    """Distance of a point from a segment."""
    dx, dy = bx - ax, by - ay
    n = dx * dx + dy * dy
    t = min(max(((px - ax) * dx + (py - ay) * dy) / n, 0.0), 1.0) if n > 0 else 0.0
    return math.hypot(px - ax - t * dx, py - ay - t * dy)


@kernel
def unfold(corners, neighbour, entry, bends, seed, centre, axes, far, count, face, q, window, source):
    """Faces within reach of a point, unfolded into the plane of its own face, nearest first.

    Parameters
    ----------
    corners : float64 array (m, 3, 3)
    neighbour, entry : int64 arrays (m, 3)
        The face across edge k (from corner k to the next), −1: none; and the number of that edge there, plus 4 where it
        runs the same way round.
    bends : bool array (m, 3)
        Corners round which more than a full turn lies, or the mesh ends.
    seed : int
        The face on which the point lies.
    centre, axes : float64 arrays (3,), (2, 3)
        The point, and the two directions of the plane.
    far : float
        How far along the surface.
    count : int32 array (m,)
        All 0; windows of each face, to be cleared again by whoever calls.
    face, q, window, source : arrays (n,), (n, 3, 2), (n, 4), (n, 4)
        Filled: the face; its corners in the plane; both ends of its window; where the straight way begins, how long the way
        to there is, and 1 where all of the face is seen from it.

    Returns
    -------
    int
        How many were filled.
    """
    n = 0
    for k in range(3):
        for d in range(2):
            q[0, k, d] = (
                (corners[seed, k, 0] - centre[0]) * axes[d, 0]
                + (corners[seed, k, 1] - centre[1]) * axes[d, 1]
                + (corners[seed, k, 2] - centre[2]) * axes[d, 2]
            )
    face[0] = seed
    source[0, 0], source[0, 1], source[0, 2], source[0, 3] = 0.0, 0.0, 0.0, 1.0
    window[0, 0], window[0, 1], window[0, 2], window[0, 3] = 0.0, 0.0, 0.0, 0.0
    made = 1
    # Nearest first (Dijkstra): a window that is taken out is never reached by a shorter way later.
    heap = [(0.0, 0, -1)]
    while len(heap) > 0:
        _, at, came = heapq.heappop(heap)
        f = face[at]
        # A face seen through many windows is covered already; more of them cost time and change no texel.
        if count[f] >= PER_FACE:
            face[at] = -1
            continue
        count[f] += 1
        n += 1
        sx, sy, way, free = source[at, 0], source[at, 1], source[at, 2], source[at, 3]
        # The window's ends as seen from the point: what lies between them is seen straight.
        lx, ly, rx, ry = window[at, 0] - sx, window[at, 1] - sy, window[at, 2] - sx, window[at, 3] - sy
        # Which end is left depends on how the edge was entered; the tests below want them in order.
        if _cross(lx, ly, rx, ry) < 0:
            lx, ly, rx, ry = rx, ry, lx, ly
        for k in range(3):
            g = neighbour[f, k]
            if k == came or g < 0 or made >= MOST_STATES:
                continue
            px, py = q[at, k, 0], q[at, k, 1]
            ex, ey = q[at, (k + 1) % 3, 0] - px, q[at, (k + 1) % 3, 1] - py
            ox, oy, s0, s1, sees = sx, sy, 0.0, 1.0, free
            length = way
            if free == 0.0:
                # Both conditions are straight in s: to the left of the window's right end, to the right of its left.
                for side in range(2):
                    if side == 0:
                        a, b = _cross(lx, ly, px - sx, py - sy), _cross(lx, ly, ex, ey)
                    else:
                        a, b = _cross(px - sx, py - sy, rx, ry), _cross(ex, ey, rx, ry)
                    if b > 0:
                        s0 = max(s0, -a / b)
                    elif b < 0:
                        s1 = min(s1, -a / b)
                    elif a < 0:
                        s1 = -1.0
                if s1 - s0 < 1e-9:
                    # Nothing of the edge is seen. A shortest way bends only at corners round which more than a full turn
                    # lies, or the mesh ends; the one that this edge shares with the edge of the window.
                    v = (came + 1) % 3 if k == (came + 1) % 3 else came
                    vx, vy = q[at, v, 0] - sx, q[at, v, 1] - sy
                    off = min(abs(vx - lx) + abs(vy - ly), abs(vx - rx) + abs(vy - ry))
                    if not bends[f, v] or off > 1e-7 * (abs(ex) + abs(ey)):
                        continue
                    s0, s1, sees = 0.0, 1.0, 1.0
                    ox, oy, length = sx + vx, sy + vy, way + math.hypot(vx, vy)
            else:
                sees = 0.0
            ax, ay, bx, by = px + s0 * ex, py + s0 * ey, px + s1 * ex, py + s1 * ey
            near = _to_segment(ox, oy, ax, ay, bx, by)
            if near < 1e-9 * (abs(ex) + abs(ey)):
                sees = 1.0  # it lies on the edge itself: nothing stands before the face behind it
            key = length + near
            if key > far:
                continue
            e = entry[f, k]
            j = e % 4
            # Edges run the other way in the neighbour where both faces look the same way
            # out.
            same = e >= 4
            # The neighbour's third corner: as far along the edge and away from it as in space, on the other side.
            c = corners[g]
            i0, i1, i2 = j, (j + 1) % 3, (j + 2) % 3
            vx, vy, vz = c[i1, 0] - c[i0, 0], c[i1, 1] - c[i0, 1], c[i1, 2] - c[i0, 2]
            wx, wy, wz = c[i2, 0] - c[i0, 0], c[i2, 1] - c[i0, 1], c[i2, 2] - c[i0, 2]
            long = math.sqrt(vx * vx + vy * vy + vz * vz)
            flat = math.hypot(ex, ey)
            if long <= 0 or flat <= 0:
                continue
            along = (vx * wx + vy * wy + vz * wz) / long
            hx, hy, hz = vy * wz - vz * wy, vz * wx - vx * wz, vx * wy - vy * wx
            off = math.sqrt(hx * hx + hy * hy + hz * hz) / long
            b0 = 0 if same else 1
            q[made, i0, 0], q[made, i0, 1] = px + b0 * ex, py + b0 * ey
            q[made, i1, 0], q[made, i1, 1] = px + (1 - b0) * ex, py + (1 - b0) * ey
            dx, dy = (q[made, i1, 0] - q[made, i0, 0]) / flat, (q[made, i1, 1] - q[made, i0, 1]) / flat
            t = (k + 2) % 3
            side_of = _cross(dx, dy, q[at, t, 0] - q[made, i0, 0], q[at, t, 1] - q[made, i0, 1])
            # The neighbour's third corner lies on the far side of the edge from this face's own.
            turn = -1.0 if side_of > 0 else 1.0
            q[made, i2, 0] = q[made, i0, 0] + dx * along - dy * off * turn
            q[made, i2, 1] = q[made, i0, 1] + dy * along + dx * off * turn
            face[made] = g
            source[made, 0], source[made, 1], source[made, 2], source[made, 3] = ox, oy, length, sees
            window[made, 0], window[made, 1], window[made, 2], window[made, 3] = ax, ay, bx, by
            heapq.heappush(heap, (key, made, j))
            made += 1
    return made


@inlined
def along(x, y, window, source, at):
    """Length of the way to a point of an unfolded face."""
    sx, sy, way = source[at, 0], source[at, 1], source[at, 2]
    straight = math.hypot(x - sx, y - sy)
    if source[at, 3] != 0.0:
        return way + straight
    lx, ly, rx, ry = window[at, 0] - sx, window[at, 1] - sy, window[at, 2] - sx, window[at, 3] - sy
    a, b = _cross(lx, ly, x - sx, y - sy), _cross(x - sx, y - sy, rx, ry)
    if _cross(lx, ly, rx, ry) < 0:
        a, b = -a, -b
    eps = 1e-9 * (straight + abs(lx) + abs(rx))
    if a >= -eps * math.hypot(lx, ly) and b >= -eps * math.hypot(rx, ry):
        return way + straight
    by_left = math.hypot(lx, ly) + math.hypot(x - sx - lx, y - sy - ly)
    by_right = math.hypot(rx, ry) + math.hypot(x - sx - rx, y - sy - ry)
    return way + min(by_left, by_right)

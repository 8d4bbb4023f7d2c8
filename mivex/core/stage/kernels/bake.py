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

"""Kernels of `mivex.core.proof.flat`."""

import numpy as np

from mivex.core.base.compile import kernel
from mivex.core.pixels.kernels.blend_codes import DITHERED
from mivex.core.pixels.kernels.lanes import blue4, green4, make4, red4
from mivex.core.pixels.kernels.merge import blend4, passes_alpha_test


@kernel
def _code(v, table):
    v = min(max(v, np.float32(0)), np.float32(1))
    return table[int(v * np.float32(65535) + np.float32(0.5))]


@kernel
def draw_rows(first, last, out, views, texels, offsets, widths, heights, scene, bayer, table):
    """Rows ``first`` to ``last`` of ``out``, as the one record in ``views`` says."""
    one = np.float32(1)
    view = views[0]
    x_off, y_off, w, h, left, top, zoom = view.x, view.y, view.width, view.height, view.left, view.top, view.zoom
    show, code, opacity, cutoff, back, tint = view.show, view.blend, view.opacity, view.cutoff, view.back, view.tint
    level, lw, lh = view.level, widths[view.level], heights[view.level]
    # Reduced pictures average a box of texels of the finest level that is fine enough.
    step = 1.0 / zoom
    use, uw, uh = level, lw, lh
    while use + 1 < len(offsets) and w / uw < step * 0.75:
        use += 1
        uw, uh = widths[use], heights[use]
    start = offsets[use]
    for y in range(first, last):
        ty = (y + y_off + 0.5 - top) / zoom
        if not 0 <= ty < h:
            continue
        iy = min(int(ty * uh / h), uh - 1)
        for x in range(max(0, view.edge), out.shape[1]):
            tx = (x + x_off + 0.5 - left) / zoom
            if not 0 <= tx < w:
                continue
            i = np.uint64(start + iy * uw + min(int(tx * uw / w), uw - 1))
            r, g, b, a = texels[i, 0], texels[i, 1], texels[i, 2], texels[i, 3]
            if show == 0:
                r0, g0, b0 = back[0], back[1], back[2]
                if view.checker:
                    odd = ((x + x_off) >> 3) + ((y + y_off) >> 3)
                    r0 = view.bright if odd & 1 else view.dark
                    g0, b0 = r0, r0
                elif scene.shape[0] > 1:
                    j, i2 = (y + y_off) % scene.shape[0], (x + x_off) % scene.shape[1]
                    r0, g0, b0 = scene[j, i2, 0], scene[j, i2, 1], scene[j, i2, 2]
                threshold = bayer[(y + y_off) & 7, (x + x_off) & 7] if code == DITHERED else np.float32(0)
                if passes_alpha_test(code, a * opacity, cutoff, threshold):
                    c = blend4(
                        view.display,
                        code,
                        make4(r * tint[0], g * tint[1], b * tint[2], a * opacity),
                        make4(r0, g0, b0, one),
                        opacity,
                    )
                    r, g, b = red4(c), green4(c), blue4(c)
                else:
                    r, g, b = r0, g0, b0
            elif show == 2:
                r, g, b = a, a, a
            elif show == 3:
                g, b = r, r
            elif show == 4:
                r, b = g, g
            elif show == 5:
                r, g = b, b
            if view.encode and show != 2:
                out[y, x, 0], out[y, x, 1], out[y, x, 2] = _code(r, table), _code(g, table), _code(b, table)
            else:
                top255, half = np.float32(255), np.float32(0.5)
                out[y, x, 0] = int(min(max(r, np.float32(0)), one) * top255 + half)
                out[y, x, 1] = int(min(max(g, np.float32(0)), one) * top255 + half)
                out[y, x, 2] = int(min(max(b, np.float32(0)), one) * top255 + half)

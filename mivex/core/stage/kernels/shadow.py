"""What the lamp sees: the nearest solid caster, the nearest pierced one, and the share that it lets through.

References
----------
Williams (1978), *Casting Curved Shadows on Curved Surfaces*.
"""

import numpy as np

from mivex.core.base.compile import kernel
from mivex.core.pixels.kernels.lanes import last4
from mivex.core.pixels.kernels.sampling import high_of, level_of, levels_of, trilinear4, wide_of
from mivex.core.stage.kernels.walk import span


@kernel
def cast(seen, draws, polys, count, first, last):
    """Draw casters into rows ``first`` to ``last`` of what the lamp sees.

    Parameters
    ----------
    seen : float32 array (size, size, 3)
        Nearness of the nearest solid caster, of the nearest pierced one, share of light through the pierced ones.
    draws, polys : DRAW and POLY arrays
        ``lit`` marks a pierced caster: its picture's last channel says how much of it is there.
    count : int
        Polygons.
    """
    size = seen.shape[1]
    for p in range(count):
        poly = polys[p]
        if poly.bottom <= first or poly.top >= last or poly.right <= 0 or poly.left >= size:
            continue
        draw = draws[poly.draw]
        chain = draw.chain[0]
        w, h = wide_of(chain, 0), high_of(chain, 0)
        rho2 = max((poly.across[1] * w) ** 2 + (poly.across[2] * h) ** 2, (poly.down[1] * w) ** 2 + (poly.down[2] * h) ** 2)
        level, share = level_of(np.float32(max(rho2, 1.0)), levels_of(chain) - 1)
        for y in range(
            max(first, int(np.ceil(max(poly.top, 0.0) - 0.5))), min(last, int(np.ceil(min(poly.bottom, float(last)) - 0.5)))
        ):
            x0, x1 = span(poly, y, size)
            dy = y + 0.5 - poly.at_y
            for x in range(x0, x1):
                dx = x + 0.5 - poly.at_x
                near = np.float32(poly.value[0] + poly.across[0] * dx + poly.down[0] * dy)
                if not draw.lit:
                    seen[y, x, 0] = max(seen[y, x, 0], near)
                    continue
                u = np.float32(poly.value[1] + poly.across[1] * dx + poly.down[1] * dy)
                v = np.float32(poly.value[2] + poly.across[2] * dx + poly.down[2] * dy)
                there = last4(trilinear4(chain, u, v, level, share, draw.wrap))
                if there > np.float32(0.002):
                    seen[y, x, 1] = max(seen[y, x, 1], near)
                    seen[y, x, 2] *= np.float32(1) - there

"""Numbers by which kernels know the blends; `mivex.core.pixels.blends.BLENDS` has the rows that belong to them.

They ascend by what a kernel asks of them: up to ``DITHERED`` a fragment replaces what is below it (after its alpha test),
from ``TRANSLUCENT`` on what is below takes part, from ``ADDITIVE`` on a fragment covers nothing: alpha below it stays.
"""

SOLID, CUTOUT, DITHERED, TRANSLUCENT, PREMULTIPLIED, ADDITIVE, MULTIPLY = range(7)

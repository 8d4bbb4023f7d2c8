"""Step ``resize``: another size, filtered with colour premultiplied, never straight."""

from typing import ClassVar, Literal

import numpy as np

from mivex.core.base.lazy import Lazy
from mivex.core.base.limits import check_size
from mivex.core.base.settings import setting
from mivex.core.prepare.base import Context, Step, StepParams, Surface
from mivex.core.prepare.resample import resized
from mivex.core.prepare.weighing import premultiply, unpremultiply

cv2 = Lazy("cv2")


class Resize(StepParams):
    """Settings of ``resize``."""

    WHEN: ClassVar = {"width": ("to", ("size",)), "height": ("to", ("size",))}

    step: Literal["resize"] = "resize"
    to: Literal["power", "size"] = setting(
        "power",
        "Resize to",
        "Powers of two suit mip levels and block compression.",
        choices={"power": "Nearest powers of two", "size": "A given size"},
    )
    width: int = setting(0, "Width", "Used with a given size; 0 keeps it.", unit="px", ge=0, le=16384, drag=(0, 4096))
    height: int = setting(0, "Height", "Used with a given size; 0 keeps it.", unit="px", ge=0, le=16384, drag=(0, 4096))
    filter: Literal["area", "lanczos"] = setting(
        "area",
        "Filter",
        "Area averages and never rings; Lanczos keeps more detail and may ring.",
        choices={"area": "Area", "lanczos": "Lanczos"},
    )


def nearest_power(side: int) -> int:
    """The power of two nearest to ``side`` by ratio."""
    return int(2 ** round(float(np.log2(side))))


def run(surface: Surface, params: Resize, context: Context) -> Surface:
    """Filter ``α·C`` and ``α`` in linear light and divide again; under zero alpha stands the nearest texel's colour."""
    h, w = surface.alpha.shape
    s = surface.scale
    full_w, full_h = surface.full_size
    if params.to == "power":
        width, height = nearest_power(full_w), nearest_power(full_h)
    else:
        width, height = params.width or full_w, params.height or full_h
    check_size(width, height, "The resized picture")
    full = (width, height)
    width, height = max(1, round(width * s)), max(1, round(height * s))
    if (width, height) == (w, h):
        return surface.but(full=full)
    if surface.premultiplied:
        alpha = np.clip(resized(surface.values[..., 3:], width, height, params.filter), 0, 1)
        colour = np.clip(resized(surface.rgb_in("linear"), width, height, params.filter), 0, 1)
        values = np.concatenate([surface.rgb_from(colour, "linear"), alpha], axis=2)
    else:
        # Hidden colour needs no filter, only to survive.
        hidden = cv2.resize(surface.values, (width, height), interpolation=cv2.INTER_NEAREST).reshape(height, width, 4)
        sums = premultiply(surface.values, surface.traits)
        values = unpremultiply(resized(sums, width, height, params.filter), hidden, surface.data)
    return surface.but(values=values.astype(np.float32, copy=False), full=full)


STEP = Step(Resize, run, "Resize", "Bring the picture to another size without darkening its edges.", "source", moves=True)

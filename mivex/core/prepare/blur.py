"""Step ``blur``: Gaussian blur of alpha, colour or both."""

from typing import Literal

import numpy as np

from mivex.core.base.lazy import Lazy
from mivex.core.base.settings import setting
from mivex.core.base.types import Floats
from mivex.core.prepare.base import Context, Step, StepParams, Surface
from mivex.core.prepare.weighing import premultiply, unpremultiply

cv2 = Lazy("cv2")

Border = Literal["clamp", "wrap"]
BORDER_WORDS = {"clamp": "Hold the border", "wrap": "Wrap round"}


class Blur(StepParams):
    """Settings of ``blur``."""

    step: Literal["blur"] = "blur"
    what: Literal["alpha", "colour", "both"] = setting(
        "alpha",
        "Blur",
        "Colour and both are blurred by how visible they are, so that hidden colour does not leak in.",
        choices={"alpha": "Alpha", "colour": "Colour", "both": "Both"},
    )
    radius: float = setting(4.0, "Radius", "Standard deviation of the blur.", unit="px", ge=0, le=512, drag=(0, 64))
    border: Border = setting(
        "clamp", "At the border", "Wrap keeps a repeating texture free of seams.", choices=BORDER_WORDS
    )


def blurred(values: Floats, sigma: float, wrap: bool) -> Floats:
    """Gaussian blur of ``(h, w)`` or ``(h, w, c)`` with a kernel cut at 3.5 sigma.

    A wide blur works on a reduced picture, whose detail it would remove anyway;
    the reduction's own blur is taken into account.
    """
    if sigma <= 0:
        return values
    h, w = values.shape[:2]
    factor = 1
    while sigma / factor > 4 and min(h, w) // (factor * 2) >= 16:
        factor *= 2
    pad = 0
    if wrap or factor > 1:
        # Before reducing, too: the outermost reduced texel then holds the border alone, not a mean with its neighbours.
        pad = min(-(-int(np.ceil(3.5 * sigma)) // factor) * factor + factor, 4096) if wrap else factor
        if wrap:
            widths = [(pad, pad), (pad, pad)] + [(0, 0)] * (values.ndim - 2)
            values = np.pad(values, widths, mode="wrap")
        else:
            values = cv2.copyMakeBorder(values, pad, pad, pad, pad, cv2.BORDER_REPLICATE)
    small, rest = values, sigma
    if factor > 1:
        size = (-(-values.shape[1] // factor), -(-values.shape[0] // factor))
        small = cv2.resize(values, size, interpolation=cv2.INTER_AREA)
        rest = float(np.sqrt(max(sigma**2 - (factor**2 - 1) / 6, 0.01)) / factor)
    out = cv2.GaussianBlur(small, (0, 0), rest, borderType=cv2.BORDER_REPLICATE)
    if factor > 1:
        out = cv2.resize(out, (values.shape[1], values.shape[0]), interpolation=cv2.INTER_LINEAR)
    if pad:
        out = np.ascontiguousarray(out[pad : pad + h, pad : pad + w])
    return np.asarray(out, np.float32)


def run(surface: Surface, params: Blur, context: Context) -> Surface:
    """Blur; colour is weighted by alpha in linear light, and divided again. Radius 0 changes nothing."""
    sigma, wrap = params.radius * surface.scale, params.border == "wrap"
    if sigma == 0:
        return surface
    if params.what == "alpha":
        return surface.with_alpha(blurred(surface.alpha, sigma, wrap))
    out = unpremultiply(
        blurred(premultiply(surface.values, surface.traits), sigma, wrap), surface.values, surface.data, 1e-4
    )
    if params.what == "colour":
        out[..., 3] = surface.alpha
    return surface.but(values=out)


STEP = Step(Blur, run, "Blur", "Softens alpha, colour or both; can wrap round for repeating textures.", "alpha")

"""Step ``key-colour``: clear what is near to one colour, with a soft range, and take that colour out."""

from typing import Literal

import numba as nb
import numpy as np

from mivex.core.bands import run_bands
from mivex.core.prepare.base import Context, Rgb, Space, Step, StepParams, Surface, colour_in, setting
from mivex.core.types import Floats


class KeyColour(StepParams):
    """Settings of ``key-colour``."""

    step: Literal["key-colour"] = "key-colour"
    key: Rgb = setting((0.1, 0.7, 0.2), "Key", "The colour of the backdrop; pick it from the picture.", widget="colour")
    near: float = setting(0.06, "Clear up to", "Colours within this distance of the key become fully clear.",
                          ge=0, le=1.8, drag=(0, 1))
    far: float = setting(0.45, "Solid from", "Colours farther than this stay fully solid; between the two lies the "
                         "soft edge.", ge=0, le=1.8, drag=(0, 1.2))
    clean: float = setting(1.0, "Take key out", "Takes the key's share out of soft texels, so that no rim of it is "
                           "left.", ge=0, le=1)
    despill: float = setting(0.0, "Despill", "Holds the key's hue down everywhere, for light that the backdrop threw "
                             "on the shape.", ge=0, le=1)
    space: Space = setting("display", "Measured in", "In which values the distance is taken.",
                           choices={"display": "Display values", "linear": "Linear light"})


def border_of(values: Floats) -> Floats:
    """The texels along the four sides, each once; ``(n, ...)``."""
    if min(values.shape[:2]) <= 2:
        return values.reshape(-1, *values.shape[2:])
    return np.concatenate([values[0], values[-1], values[1:-1, 0], values[1:-1, -1]])


def key_from_border(values: Floats) -> KeyColour:
    """Settings that key out what stands along a picture's border.

    The key is the border's median; it is clear up to the distance within which
    nearly all of the border lies, and some room beyond for the backdrop's grain.

    Parameters
    ----------
    values : float32 array (height, width, 4), display values
    """
    rim = border_of(values[..., :3])
    key = np.median(rim, axis=0)
    apart = float(np.percentile(np.linalg.norm(rim - key, axis=1), 98))
    near = round(min(max(1.25 * apart + 0.02, 0.04), 0.5), 3)
    r, g, b = (round(float(v), 4) for v in key)
    ranked = np.sort(key)
    # A backdrop of a strong hue also throws its light on the shape's edge.
    spill = 1.0 if ranked[2] - ranked[1] > 0.15 else 0.0
    return KeyColour(key=(r, g, b), near=near, far=round(near + 0.3, 3), despill=spill)


@nb.njit(nogil=True, cache=True, error_model="numpy")
def _key_rows(C, alpha, K, near, far, clean, despill, lead, out, first, last):  # type: ignore[no-untyped-def]
    one, zero = np.float32(1), np.float32(0)
    for y in range(first, last):
        for x in range(alpha.shape[1]):
            r, g, b = C[y, x, 0], C[y, x, 1], C[y, x, 2]
            d = np.sqrt((r - K[0]) ** 2 + (g - K[1]) ** 2 + (b - K[2]) ** 2)
            if far - near > np.float32(1e-6):
                a = min(max((d - near) / (far - near), zero), one)
            else:
                a = one if d > far else zero
            if zero < a < one and clean > 0:
                # F = K + (C − K)/α, the colour that was mixed with the key.
                f = (one / a - one) * clean
                r = min(max(r + (r - K[0]) * f, zero), one)
                g = min(max(g + (g - K[1]) * f, zero), one)
                b = min(max(b + (b - K[2]) * f, zero), one)
            if despill > 0 and lead >= 0:
                if lead == 0:
                    r -= max(r - max(g, b), zero) * despill
                elif lead == 1:
                    g -= max(g - max(r, b), zero) * despill
                else:
                    b -= max(b - max(r, g), zero) * despill
            out[y, x, 0], out[y, x, 1], out[y, x, 2], out[y, x, 3] = r, g, b, a * alpha[y, x]


def run(surface: Surface, params: KeyColour, context: Context) -> Surface:
    """``α · clip((|C − K| − near)/(far − near))``; an alpha that is there already stays in force.

    The key's hue is its largest channel; despill lowers it to the larger of the
    two others. A grey key has no hue, and nothing is despilled.
    """
    C = surface.rgb_in(params.space)
    K = colour_in(params.key, params.space, surface.data)
    ranked = np.sort(K)
    lead = int(K.argmax()) if ranked[2] - ranked[1] > 0.02 else -1
    out: Floats = np.empty(surface.values.shape, np.float32)
    f = np.float32
    alpha = surface.alpha if surface.has_alpha else np.ones_like(surface.alpha)
    run_bands(out.shape[0], lambda a, b: _key_rows(C, alpha, K, f(params.near), f(params.far), f(params.clean),
                                                   f(params.despill), lead, out, a, b))
    return surface.with_colour(surface.rgb_from(out[..., :3], params.space)).with_alpha(out[..., 3])


STEP = Step(KeyColour, run, "Key colour", "Clears everything near to one colour, softly, and takes that colour out "
            "of the edge.", "alpha")

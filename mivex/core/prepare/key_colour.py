"""Step ``key-colour``: clear what is near to one colour, with a soft range, and take that colour out."""

from typing import Literal

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.settings import Rgb, setting
from mivex.core.base.types import Floats
from mivex.core.prepare.base import Context, Space, Step, StepParams, Surface, colour_in

_kernels = Lazy("mivex.core.prepare.kernels.key_colour")


class KeyColour(StepParams):
    """Settings of ``key-colour``."""

    step: Literal["key-colour"] = "key-colour"
    key: Rgb = setting((0.1, 0.7, 0.2), "Key", "The colour of the backdrop; pick it from the picture.", widget="colour")
    near: float = setting(
        0.06, "Clear up to", "Colours within this distance of the key become fully clear.", ge=0, le=1.8, drag=(0, 1)
    )
    far: float = setting(
        0.45,
        "Solid from",
        "Colours farther than this stay fully solid; between the two lies the soft edge.",
        ge=0,
        le=1.8,
        drag=(0, 1.2),
    )
    clean: float = setting(
        1.0, "Take key out", "Takes the key's share out of soft texels, so that no rim of it is left.", ge=0, le=1
    )
    despill: float = setting(
        0.0, "Despill", "Holds the key's hue down everywhere, for light that the backdrop threw on the shape.", ge=0, le=1
    )
    space: Space = setting(
        "display",
        "Measured in",
        "In which values the distance is taken.",
        choices={"display": "Display values", "linear": "Linear light"},
    )


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
    run_bands(
        out.shape[0],
        lambda a, b: _kernels.key_rows(
            C, alpha, K, f(params.near), f(params.far), f(params.clean), f(params.despill), lead, out, a, b
        ),
    )
    return surface.with_colour(surface.rgb_from(out[..., :3], params.space)).with_alpha(out[..., 3])


STEP = Step(
    KeyColour,
    run,
    "Key colour",
    "Clears everything near to one colour, softly, and takes that colour out of the edge.",
    "alpha",
)

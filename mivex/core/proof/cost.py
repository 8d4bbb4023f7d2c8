"""What a change does to what is seen at full size: the figure, and a small picture of the worst place."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.types import Floats
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import to_display, to_linear

SIDE = 64
"""Texels a side of the picture."""


@dataclass(frozen=True, eq=False)
class Change:
    """How far two textures of one size are apart where they are seen.

    Attributes
    ----------
    figure : float
        Largest difference over black, mid grey and white, 0 to 255.
    share : float
        Share of the seen texels that differ by more than 4 of 255.
    picture : uint8 array (height, 3 × width, 3)
        The worst place over mid grey: before, after, and where they differ.
    """

    figure: float
    share: float
    picture: NDArray[np.uint8]


def _over(t: Texture, part: tuple[slice, slice], back: float) -> Floats:
    v = t.values[part]
    a = v[..., 3:]
    rgb = v[..., :3] if t.meaning == "data" else to_linear(v[..., :3])
    behind = np.float32(back if t.meaning == "data" else float(to_linear(np.array([back], np.float32))[0]))
    mixed = np.clip((rgb if t.premultiplied else rgb * a) + (1 - a) * behind, 0, 1)
    return mixed if t.meaning == "data" else to_display(mixed)


def change_of(before: Texture, after: Texture) -> Change:
    """Measure level 0 of two textures of one size against one another."""
    h, w = before.alpha.shape
    worst = np.zeros((h, w), np.float32)
    for top in range(0, h, 256):
        part = slice(top, top + 256), slice(None)
        for back in (0.0, 0.5, 1.0):
            apart = np.abs(_over(before, part, back) - _over(after, part, back)).max(axis=2)
            np.maximum(worst[part], apart, out=worst[part])
    seen = before.alpha > 0
    y, x = np.unravel_index(int(worst.argmax()), worst.shape)
    y0, x0 = max(0, min(int(y) - SIDE // 2, h - SIDE)), max(0, min(int(x) - SIDE // 2, w - SIDE))
    place = slice(y0, y0 + SIDE), slice(x0, x0 + SIDE)
    shown = [_over(t, place, 0.5) for t in (before, after)]
    shown.append(np.repeat(np.clip(worst[place] * 4, 0, 1)[..., None], 3, axis=2))
    picture = np.rint(np.concatenate(shown, axis=1) * 255).astype(np.uint8)
    picture[:, [shown[0].shape[1] - 1, 2 * shown[0].shape[1] - 1]] = 16  # lines between the three
    return Change(float(worst.max() * 255), float((worst[seen] > 4 / 255).mean()) if seen.any() else 0.0, picture)

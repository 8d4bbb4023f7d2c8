"""A normal map under a light: what the pointer moves when the flat proof shows ``lit``.

References
----------
Blinn (1977), *Models of Light Reflection for Computer Synthesized Pictures*,
for the highlight; Lambert's cosine law.
"""

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.types import Floats
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import screen_rgb

HEIGHT = 0.45
"""Height of the light over the picture, as a share of its shorter side."""
_GREY = 0.42


def lit(normals: Floats, u: Floats, v: Floats, light: tuple[float, float], aspect: float) -> Floats:
    """Linear grey of a surface with these normals under one near light.

    Parameters
    ----------
    normals : float32 array (h, w, 3)
        Stored values, ``(n + 1)/2``; green up.
    u, v : float32 arrays (h, w)
        Place of each normal, shares of width and height.
    light : (x, y)
        Place of the light in the same shares.
    aspect : float
        Width over height.
    """
    n = normals * 2 - 1
    n = n / np.maximum(np.linalg.norm(n, axis=-1, keepdims=True), np.float32(1e-6))
    short = min(aspect, 1.0)
    to = np.stack([(light[0] - u) * aspect, -(light[1] - v), np.full(u.shape, HEIGHT * short)], axis=-1)
    far = np.linalg.norm(to, axis=-1, keepdims=True)
    to = to / far
    half = to + np.array([0, 0, 1])
    half = half / np.linalg.norm(half, axis=-1, keepdims=True)
    diffuse = np.clip((n * to).sum(-1), 0, 1)
    shine = np.clip((n * half).sum(-1), 0, 1) ** 40
    near = np.clip((HEIGHT * short / far[..., 0]) ** 2, 0, 1)
    grey = _GREY * (0.10 + 0.95 * diffuse * (0.35 + 0.65 * near)) + 0.35 * shine * near
    return np.asarray(grey, np.float32)


def paint_lit(
    out: NDArray[np.uint8], texture: Texture, light: tuple[float, float], left: float, top: float, zoom: float, edge: int
) -> None:
    """Draw the texture as a lit surface into ``out``, texel by texel where enlarged."""
    w, h = texture.full_size if texture.scale < 1 else (texture.width, texture.height)
    y0, y1 = max(0, int(top)), min(out.shape[0], int(top + h * zoom) + 1)
    x0, x1 = max(0, int(left), edge), min(out.shape[1], int(left + w * zoom) + 1)
    if y1 <= y0 or x1 <= x0:
        return
    u = ((np.arange(x0, x1) + 0.5 - left) / (w * zoom)).astype(np.float32)
    v = ((np.arange(y0, y1) + 0.5 - top) / (h * zoom)).astype(np.float32)
    u, v = u[(u >= 0) & (u < 1)], v[(v >= 0) & (v < 1)]
    if not u.size or not v.size:
        return
    rows, cols = (v * texture.height).astype(int), (u * texture.width).astype(int)
    normals = texture.values[rows[:, None], cols[None, :], :3]
    grey = lit(normals, np.broadcast_to(u, (v.size, u.size)), np.broadcast_to(v[:, None], (v.size, u.size)), light, w / h)
    y0, x0 = max(0, int(np.ceil(top - 0.5)), 0), max(0, edge, int(np.ceil(left - 0.5)))
    out[y0 : y0 + v.size, x0 : x0 + u.size] = screen_rgb(np.repeat(grey[..., None], 3, axis=2))[
        : out.shape[0] - y0, : out.shape[1] - x0
    ]

"""Block compression as most games store textures: 4 × 4 texels share two colours and two alphas.

Colour: two endpoints of 5, 6 and 5 bits and two colours between them; alpha: two endpoints of 8 bits and six values
between (block formats BC1 and BC3; Khronos, *Data Format Specification* 1.3, chapter 18). Endpoints lie along the principal
axis of a block's colours, then at the least squares for the texels' choices; the better of the two stays.
"""

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats

_kernels = Lazy("mivex.core.pixels.kernels.blocks")


def _blocks(values: NDArray[np.uint8]) -> Floats:
    """Texels (h, w, c), sides multiples of 4, as (n, 16, c)."""
    h, w, c = values.shape
    # Four by four texels side by side in memory: all that follows works on many blocks at once.
    return values.reshape(h // 4, 4, w // 4, 4, c).transpose(0, 2, 1, 3, 4).reshape(-1, 16, c).astype(np.float32)


def _whole(blocks: Floats, h: int, w: int) -> Floats:
    c = blocks.shape[2]
    return blocks.reshape(h // 4, w // 4, 4, 4, c).transpose(0, 2, 1, 3, 4).reshape(h, w, c)


def _quantised(rgb: Floats) -> Floats:
    """Colours (n, 3) as 5, 6 and 5 bits hold them, widened to 8 by repeating their high bits."""
    five = np.rint(np.clip(rgb, 0, 255) * (31 / 255)).astype(np.int32)
    six = np.rint(np.clip(rgb, 0, 255) * (63 / 255)).astype(np.int32)
    # High bits repeated below, as decoders do: 31 becomes 255 and 0 stays 0.
    out = (five << 3) | (five >> 2)
    out[:, 1] = (six[:, 1] << 2) | (six[:, 1] >> 4)
    return out.astype(np.float32)


def _chosen(blocks: Floats, a: Floats, b: Floats) -> tuple[Floats, Floats, Floats]:
    """Texels as the palette between two colours holds them, their share of the way, and the squared error of each block."""
    made, share, error = np.empty_like(blocks), np.empty(blocks.shape[:2], np.float32), np.empty(len(blocks), np.float32)
    run_bands(len(blocks), lambda i, j: _kernels.choose(blocks, a, b, made, share, error, i, j), least=2048)
    return made, share, error


def _colours(blocks: Floats) -> Floats:
    middle = blocks.mean(axis=1, keepdims=True)
    away = blocks - middle
    # The longest axis of the colours' scatter: both endpoints lie on it to begin with.
    axis = np.linalg.eigh(np.einsum("nic,nid->ncd", away, away))[1][:, :, 2].astype(np.float32)
    along = np.einsum("nic,nc->ni", away, axis)
    a = _quantised(middle[:, 0] + axis * along.min(axis=1, keepdims=True))
    b = _quantised(middle[:, 0] + axis * along.max(axis=1, keepdims=True))
    best, t, error = _chosen(blocks, a, b)
    # Least squares for the endpoints, the texels' choices held.
    s = 1 - t
    aa, bb, ab = (s * s).sum(axis=1), (t * t).sum(axis=1), (s * t).sum(axis=1)
    x, y = np.einsum("ni,nic->nc", s, blocks), np.einsum("ni,nic->nc", t, blocks)
    det = aa * bb - ab * ab
    safe = np.where(det > 1e-6, det, 1.0)[:, None]
    a2 = _quantised((x * bb[:, None] - y * ab[:, None]) / safe)
    b2 = _quantised((y * aa[:, None] - x * ab[:, None]) / safe)
    other, _, error2 = _chosen(blocks, a2, b2)
    better = (error2 < error) & (det > 1e-6)
    best[better] = other[better]
    return np.floor(best + np.float32(0.5))


def _alphas(blocks: Floats) -> Floats:
    """Alphas (n, 16) as eight even steps between the least and the greatest of each block hold them."""
    low, high = blocks.min(axis=1, keepdims=True), blocks.max(axis=1, keepdims=True)
    span = np.maximum(high - low, 1)
    return np.floor(low + np.rint((blocks - low) / span * 7) * (high - low) / 7 + np.float32(0.5))


def compressed(values: Floats) -> Floats:
    """Stored values (height, width, 4) in [0, 1] as they come back from block compression."""
    h, w = values.shape[:2]
    codes = np.rint(np.clip(values, 0, 1) * 255).astype(np.uint8)
    # Sides that are no multiple of four are filled up with their border, as encoders do.
    codes = np.pad(codes, ((0, -h % 4), (0, -w % 4), (0, 0)), mode="edge")
    blocks = _blocks(codes)
    out = np.empty_like(blocks)
    step = 1 << 16
    for i in range(0, len(blocks), step):
        out[i : i + step, :, :3] = _colours(np.ascontiguousarray(blocks[i : i + step, :, :3]))
        out[i : i + step, :, 3] = _alphas(blocks[i : i + step, :, 3])
    return np.ascontiguousarray(_whole(out, *codes.shape[:2])[:h, :w] / np.float32(255), np.float32)

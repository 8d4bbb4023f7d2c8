"""Kernels that change light in one pass: decode, reckon, encode, texel by texel."""

import numpy as np

from mivex.core.base.bands import run_bands
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.picture.traits import ImageMetadata

_kernels = Lazy("mivex.core.prepare.kernels.light")

_NOTHING = np.zeros((1, 1, 3), np.float32)


def relit(
    values: Floats,
    traits: ImageMetadata,
    *,
    factor: Floats | None = None,
    weight: Floats | None = None,
    colour: Floats | None = None,
    by_value: bool = False,
    glow: Floats | None = None,
    amount: float = 0.0,
    share: float = 1.0,
) -> Floats:
    """Stored values after ``(C·factor + weight·colour) ⊕ amount·glow``, ⊕ being screen; all in linear light.

    Parameters
    ----------
    values : float32 array (height, width, 4)
    traits : ImageMetadata
    factor, colour : float32 arrays (3,), optional
    weight : float32 array (height, width), optional
        How much of ``colour`` is added.
    by_value : bool
        The weight is multiplied by luminance.
    glow : float32 array (height, width, 3 or 4), optional
    amount : float
        Of the glow.
    share : float
        How much of the change is made.
    """
    f = np.float32
    out: Floats = np.empty(values.shape, np.float32)
    args = (
        np.ones(3, f) if factor is None else factor,
        np.zeros((1, 1), f) if weight is None else weight,
        np.zeros(3, f) if colour is None else colour,
        by_value,
        _NOTHING if glow is None else np.ascontiguousarray(glow, f),
        f(amount),
        f(share),
        not traits.data,
    )
    run_bands(out.shape[0], lambda a, b: _kernels.light_rows(values, *args, out, a, b))  # type: ignore[call-arg]
    return out


def laid_over(values: Floats, traits: ImageMetadata, light: Floats, cover: Floats) -> Floats:
    """Stored values after source over (Porter and Duff 1984) in linear light.

    Where nothing is seen afterwards, the colour underneath becomes that of the drawing, so that none leaks in.

    Parameters
    ----------
    values : float32 array (height, width, 4)
    traits : ImageMetadata
    light : float32 array (height, width, 3) or (3,)
        Straight linear colour of the drawing.
    cover : float32 array (height, width)
    """
    out: Floats = np.empty(values.shape, np.float32)
    src = np.ascontiguousarray(np.broadcast_to(light, (1, 1, 3)) if light.ndim == 1 else light, np.float32)
    flat = np.ascontiguousarray(cover, np.float32)
    run_bands(out.shape[0], lambda a, b: _kernels.over_rows(values, src, flat, not traits.data, out, a, b))
    return out


def matte_out(values: Floats, traits: ImageMetadata, B: Floats, alpha: Floats, share: float, linear: bool) -> Floats:
    """Stored values with ``alpha`` and the colour that lay over matte ``B``; see `mattes.colour_under`.

    ``linear``: the blend was made in linear light, and ``B`` is given in it.
    """
    out: Floats = np.empty(values.shape, np.float32)
    a32, B32 = np.ascontiguousarray(alpha, np.float32), np.asarray(B, np.float32)
    decode = linear and not traits.data
    run_bands(out.shape[0], lambda a, b: _kernels.matte_rows(values, B32, a32, np.float32(share), decode, out, a, b))
    return out


def masks_coloured(values: Floats, colours: Floats) -> Floats:
    """Display values of ``Σ maskᵢ · colourᵢ``; ``colours`` float32 (4, 3) in linear light; alpha as it is."""
    out: Floats = np.empty(values.shape, np.float32)
    run_bands(out.shape[0], lambda a, b: _kernels.mix_rows(values, colours, out, a, b))
    return out

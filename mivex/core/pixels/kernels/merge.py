"""The seven blends, written once: for the raster, the flat proof and one pixel's account."""

import numpy as np

from mivex.core.base.compile import inlined, kernel
from mivex.core.pixels.kernels.blend_codes import ADDITIVE, CUTOUT, DITHERED, PREMULTIPLIED, TRANSLUCENT
from mivex.core.pixels.kernels.colour import decode_near, encode_near
from mivex.core.pixels.kernels.lanes import (
    add4,
    blue4,
    fma4,
    green4,
    last4,
    load4,
    make4,
    mul4,
    red4,
    splat4,
    spread4,
    store4,
    sub4,
    with_last4,
)


@inlined
def passes_alpha_test(code, alpha, cutoff, threshold):
    """Whether a fragment is drawn at all: Cutout by its cutoff, Dithered by the matrix."""
    return not ((code == CUTOUT and alpha < cutoff) or (code == DITHERED and alpha <= threshold))


@inlined
def contribution4(code, source, opacity):
    """What a fragment adds, and by what it weighs what is below: the blend is ``add + keep · below``.

    ``source`` holds colour and, last, alpha times opacity; ``opacity`` weighs colour of Premultiplied only. See
    `mivex.core.pixels.blends.BLENDS` for the equations. Every blend is linear in what is below, which is why a surface
    that is not lit yet can carry its light and its glow apart: ``glow · keep + add`` and ``share · keep``.
    """
    zero, one = np.float32(0), np.float32(1)
    a = spread4(source)
    left = sub4(splat4(one), a)
    if code <= DITHERED:
        return with_last4(source, one), splat4(zero)
    if code == TRANSLUCENT:
        return mul4(with_last4(source, one), a), left
    if code == PREMULTIPLIED:
        return with_last4(mul4(source, splat4(opacity)), last4(source)), left
    if code == ADDITIVE:
        return mul4(with_last4(source, zero), a), splat4(one)
    return splat4(zero), with_last4(fma4(source, a, left), one)


@inlined
def merge4(code, source, below, opacity):
    """What a fragment makes of what is below it, in linear light."""
    if code <= DITHERED:  # not by a product: what is below may be infinite
        return with_last4(source, np.float32(1))
    add, keep = contribution4(code, source, opacity)
    return fma4(below, keep, add)


@inlined
def _coded4(c):
    return make4(encode_near(red4(c)), encode_near(green4(c)), encode_near(blue4(c)), last4(c))


@kernel
def _in_display(code, source, below, opacity):
    out = merge4(code, _coded4(source), _coded4(below), opacity)
    return make4(decode_near(red4(out)), decode_near(green4(out)), decode_near(blue4(out)), last4(out))


@inlined
def blend4(display, code, source, below, opacity):
    """`merge4`, in linear light or, where ``display`` is set, on display values, as some receivers do."""
    if display and code > DITHERED:
        return _in_display(code, source, below, opacity)
    return merge4(code, source, below, opacity)


@kernel
def merge_one(code, source, below, opacity, cutoff, threshold, display=0):
    """`blend4` for arrays of four float32; ``below`` is changed in place."""
    if passes_alpha_test(code, source[3], cutoff, threshold):
        s = make4(source[0], source[1], source[2], source[3])
        at = np.uint64(below.ctypes.data)
        store4(at, blend4(display, code, s, load4(at), opacity))


@inlined
def joined4(add, keep, below):
    """``add + keep · below``, rounded twice: parts of a surface, of which either may be nothing."""
    return add4(add, mul4(keep, below))

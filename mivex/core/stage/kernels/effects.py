"""Effects of a material, a fragment at a time; see `mivex.core.material.effects`.

References
----------
Schlick (1994), *An Inexpensive BRDF Model for Physically-based Rendering*;
Wyman and McGuire (2017), *Hashed Alpha Testing*; Perlin (2002), *Improving Noise* (the easing).
"""

import math

import numpy as np

from mivex.core.base.compile import inlined, kernel
from mivex.core.pixels.kernels.blend_codes import PREMULTIPLIED
from mivex.core.pixels.kernels.colour import encode_near
from mivex.core.pixels.kernels.lanes import (
    add4,
    blue4,
    green4,
    last4,
    lerp4,
    make4,
    mul4,
    red4,
    splat4,
    with_last4,
)
from mivex.core.pixels.kernels.sampling import high_of, trilinear4, wide_of

RECOLOUR, TONES, EROSION, FLOW, HALO, CONTACT, GLASS, HASHED, REFRACTS, BROKEN = 1, 2, 4, 8, 16, 32, 64, 128, 256, 512
FRAMES = 1024
"""Bits of a draw's ``special``."""


@inlined
def _smoothstep(low, high, v):
    t = min(max((v - low) / max(high - low, np.float32(1e-6)), np.float32(0)), np.float32(1))
    return t * t * (np.float32(3) - np.float32(2) * t)


@inlined
def _lane(c, lane):
    return red4(c) if lane == 0 else green4(c) if lane == 1 else blue4(c) if lane == 2 else last4(c)


@inlined
def _value(x, y, seed):
    # A number in [-1, 1] for a lattice point.
    low = np.uint64(0xFFFFFFFF)
    h = (np.uint64(x) * np.uint64(0x9E3779B1) & low) ^ (np.uint64(y) * np.uint64(0x85EBCA77) & low) ^ np.uint64(seed)
    h = ((h ^ (h >> np.uint64(15))) * np.uint64(0x2C1B3C6D)) & low
    h = ((h ^ (h >> np.uint64(12))) * np.uint64(0x297A2D39)) & low
    h = h ^ (h >> np.uint64(15))
    return np.float32(h & np.uint64(0xFFFF)) / np.float32(32767.5) - np.float32(1)


@inlined
def _noise(x, y, seed):
    # Values at lattice points, eased between.
    fx, fy = math.floor(x), math.floor(y)
    ix, iy = np.int64(fx), np.int64(fy)
    tx, ty = np.float32(x - fx), np.float32(y - fy)
    tx = tx * tx * tx * (tx * (tx * np.float32(6) - np.float32(15)) + np.float32(10))
    ty = ty * ty * ty * (ty * (ty * np.float32(6) - np.float32(15)) + np.float32(10))
    a, b = _value(ix, iy, seed), _value(ix + 1, iy, seed)
    c, d = _value(ix, iy + 1, seed), _value(ix + 1, iy + 1, seed)
    top, under = a + (b - a) * tx, c + (d - c) * tx
    return top + (under - top) * ty


@inlined
def _deep_noise(x, y, z, seed):
    # The noise of a layer of a solid: between those of the two layers next to it.
    fz = math.floor(z)
    t = np.float32(z - fz)
    layer = np.int64(fz) * 1013
    a = _noise(x, y, seed + layer)
    if t == np.float32(0):
        return a
    t = t * t * t * (t * (t * np.float32(6) - np.float32(15)) + np.float32(10))
    return a + (_noise(x, y, seed + layer + 1013) - a) * t


@kernel
def bent(draw, u, v, through):
    """Where the picture is read once the flow has bent it; ``through``: the face's own place in the noise."""
    f = draw.flow
    x, y = u * f[1] - f[2] + through * np.float32(61.7), v * f[1] + f[3] + through * np.float32(37.3)
    s = f[0]
    if f[4] > 0:
        s *= min(max(v, np.float32(0)), np.float32(1))
    elif f[4] < 0:
        s *= min(max(np.float32(1) - v, np.float32(0)), np.float32(1))
    return u + s * _noise(x, y, draw.flow_seed), v + s * _noise(x, y, draw.flow_seed + 7919)


@kernel
def recoloured(draw, c):
    """A texel in the colours that the material gives it; alpha stays."""
    out = c
    if draw.special & RECOLOUR:
        r = draw.recolour
        out = make4(
            red4(c) * r[0, 0] + green4(c) * r[1, 0] + blue4(c) * r[2, 0],
            red4(c) * r[0, 1] + green4(c) * r[1, 1] + blue4(c) * r[2, 1],
            red4(c) * r[0, 2] + green4(c) * r[1, 2] + blue4(c) * r[2, 2],
            last4(c),
        )
    if draw.special & TONES:
        v = _lane(c, draw.tone_lane)
        if draw.tone_lane < 3 and draw.coded:
            v = encode_near(v)
        half = draw.tone_soft * np.float32(0.5)
        if half > 0:
            t = _smoothstep(draw.tone_at - half, draw.tone_at + half, v)
        else:
            t = np.float32(1) if v >= draw.tone_at else np.float32(0)
        above = make4(draw.tone_above[0], draw.tone_above[1], draw.tone_above[2], last4(c))
        below = make4(draw.tone_below[0], draw.tone_below[1], draw.tone_below[2], last4(c))
        out = with_last4(lerp4(below, above, splat4(t)), last4(c))
    return out


@kernel
def worn(draw, c, tint, own):
    """A texel times its tint, worn away; ``own``: how far its face has. Premultiplied colour goes with its alpha."""
    one, zero = np.float32(1), np.float32(0)
    a, e, t = last4(c), draw.erosion[1], last4(tint)
    if draw.erosion[3] == one:
        e, t = one - t, one
    elif draw.erosion[3] > one:
        e = own
    form = draw.erosion[0]
    if form == np.float32(1):
        left = a * (one - e)
    elif form == np.float32(2):
        left = min(max(a - e, zero), one)
    else:
        left = _smoothstep(e, e + draw.erosion[2], a) if e < one else zero
    left *= t
    out = mul4(c, tint)
    if draw.blend == PREMULTIPLIED:
        out = mul4(out, splat4(left / max(a * t, np.float32(1e-6))))
        # Opacity weighs its colour where it is blended: driven by the tint, that is undone here.
        if draw.erosion[3] == one:
            out = mul4(out, splat4(one / max(last4(tint), np.float32(1e-6))))
    return with_last4(out, left)


@kernel
def broken(draw, source, u, v, through, mask):
    """A fragment into which a mask eats; Premultiplied colour goes with its alpha.

    ``mask`` is what a picture says, where one is read; else a solid noise of three octaves, cut at ``through``.
    """
    half, one = np.float32(0.5), np.float32(1)
    n = mask
    if draw.mask.slot < 0:
        x, y, z = u * draw.breakup[2], v * draw.breakup[2], through * draw.breakup[2]
        n, w = np.float32(0), one
        for k in range(3):
            n += w * _deep_noise(x, y, z, draw.breakup_seed + 131 * k)
            x, y, z, w = x * np.float32(2), y * np.float32(2), z * np.float32(2), w * half
        # Spread over 0 to 1, so that the threshold eats from nothing to everything.
        n = min(max(n * np.float32(0.45) + half, np.float32(0)), one)
    soft = draw.breakup[1] * half
    at = draw.breakup[0] * (one + np.float32(2) * soft) - soft
    share = _smoothstep(at - soft, at + soft, n)
    if draw.blend == PREMULTIPLIED:
        return mul4(source, splat4(share))
    return with_last4(source, last4(source) * share)


@kernel
def edged(draw, source, cosine):
    """Glass seen at an angle: opacity and colour go from the face's to the edge's by Schlick's fifth power."""
    one = np.float32(1)
    w = min(max(one - abs(cosine), np.float32(0)), one)
    index = draw.glass[0] + (draw.glass[1] - draw.glass[0]) * w
    f0 = (index - one) / (index + one)
    f0 = f0 * f0
    w5 = w * w * w * w * w
    fresnel = f0 + (one - f0) * w5
    a = last4(source)
    edge = make4(draw.edge[0], draw.edge[1], draw.edge[2], a)
    out = lerp4(source, edge, splat4(fresnel * draw.glass[3]))
    return with_last4(out, a + (draw.glass[2] - a) * fresnel)


@kernel
def faded(draw, source, iw, scene):
    """A fragment that fades before it meets what is solid; ``scene``: 1/w of that, 0: nothing."""
    if not scene > 0:
        return source
    one = np.float32(1)
    share = min(max((one / scene - one / iw) / draw.contact, np.float32(0)), one)
    if draw.blend == PREMULTIPLIED:
        return mul4(source, splat4(share))
    return with_last4(source, last4(source) * share)


@inlined
def _cell(u, v, scale):
    # Hash of the cell of a surface that is this fine.
    h = _value(np.int64(math.floor(u * scale)), np.int64(math.floor(v * scale)), np.uint64(977))
    return h * np.float32(0.5) + np.float32(0.5)


@kernel
def hashed_threshold(u, v, rho):
    """A threshold anchored to the surface; ``rho``: change of u, v per pixel, the larger.

    The hashes of the two nearest powers of two are mixed, and the mixture brought back to an even spread.
    """
    one, half = np.float32(1), np.float32(0.5)
    wanted = math.log2(one / max(rho, np.float32(1e-9)))
    low = math.floor(wanted)
    f = np.float32(wanted - low)
    fine = np.float32(2.0) ** np.float32(low)
    x = (one - f) * _cell(u, v, fine) + f * _cell(u, v, fine * np.float32(2))
    a = min(f, one - f)
    if a < np.float32(1e-4):
        t = x
    elif x < one - a:
        t = x * x / (np.float32(2) * a * (one - a)) if x < a else (x - half * a) / (one - a)
    else:
        t = one - (one - x) * (one - x) / (np.float32(2) * a * (one - a))
    return min(max(t, np.float32(1e-6)), one - np.float32(1e-6))


@inlined
def halo4(draw, texel):
    """Light that a channel of the texel gives off."""
    v = _lane(texel, draw.halo_lane)
    return make4(draw.halo[0] * v, draw.halo[1] * v, draw.halo[2] * v, np.float32(0))


@inlined
def with_halo4(draw, source, texel):
    """A fragment with its halo added; its alpha stays."""
    return with_last4(add4(source, halo4(draw, texel)), last4(source))


@kernel
def alpha_of(draws, alpha, mask, out):
    """What erosion and break-up leave of an alpha picture, as one face shows it once; for shadows.

    Parameters
    ----------
    draws : DRAW array (1,)
    alpha, mask : float32 arrays (height, width)
        Texels, and what the mask says there.
    out : float32 array (height, width)
    """
    draw = draws[0]
    one = np.float32(1)
    h, w = alpha.shape
    for y in range(h):
        v = (np.float32(y) + np.float32(0.5)) / np.float32(h)
        for x in range(w):
            u = (np.float32(x) + np.float32(0.5)) / np.float32(w)
            c = make4(one, one, one, alpha[y, x])
            tint = splat4(draw.tint[3])
            c = worn(draw, c, tint, np.float32(0)) if draw.special & EROSION else mul4(c, tint)
            if draw.special & BROKEN:
                c = broken(draw, c, u, v, np.float32(0), mask[y, x])
            out[y, x] = last4(c)


@kernel
def between_frames(draw, poly, chain, here, u, v, level, share, slot):
    """Two frames of a sheet faded into each other, moved along their vectors where it has such; ``here``: of the first."""
    own, t = poly.own, poly.own[4]
    one = np.float32(1)
    if draw.vectors == 0:
        return lerp4(here, trilinear4(chain, u + own[2], v + own[3], level, share, draw.wrap), splat4(t))
    moved = trilinear4(draw.vectors, u, v, level, share, draw.wrap)
    scale = np.float32(2) * draw.vector_scale
    x, y = (red4(moved) - np.float32(0.5)) * scale * own[7], (green4(moved) - np.float32(0.5)) * scale * own[8]
    # Held half a texel within the cell: beyond it lies another frame.
    ex, ey = np.float32(0.5) / wide_of(chain, 0), np.float32(0.5) / high_of(chain, 0)
    left, right, top, low = own[5] + ex, own[5] + own[7] - ex, own[6] + ey, own[6] + own[8] - ey
    first = trilinear4(chain, min(max(u - t * x, left), right), min(max(v - t * y, top), low), level, share, draw.wrap)
    second = trilinear4(
        chain,
        min(max(u + (one - t) * x, left), right) + own[2],
        min(max(v + (one - t) * y, top), low) + own[3],
        level,
        share,
        draw.wrap,
    )
    mixed = lerp4(first, second, splat4(t))
    a = last4(mixed)
    if slot > 0 or draw.blend == PREMULTIPLIED or a <= np.float32(1e-6):
        return mixed
    # Colour by its alpha: a frame that is clear here must not bring the colour under its clear texels.
    light = lerp4(mul4(first, splat4(last4(first))), mul4(second, splat4(last4(second))), splat4(t))
    return with_last4(mul4(light, splat4(one / a)), a)

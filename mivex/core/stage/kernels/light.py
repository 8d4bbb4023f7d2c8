"""Light on a surface: microfacets under a prefiltered environment and one lamp.

References
----------
Walter, Marschner, Li, Torrance (2007), *Microfacet Models for Refraction through Rough Surfaces* (GGX);
Heitz (2014), *Understanding the Masking-Shadowing Function in Microfacet-Based BRDFs*, equation 99 (masking);
Schlick (1994), *An Inexpensive BRDF Model for Physically-based Rendering* (Fresnel);
Karis (2013), in the course *Physically Based Shading in Theory and Practice* (prefiltered environment and table);
Meyer and others (2010), *On Floating-Point Normal Vectors* (octahedral map).
"""

import math

import numpy as np

from mivex.core.base.compile import inlined, kernel
from mivex.core.pixels.kernels.lanes import (
    add4,
    blue4,
    floor1,
    fma4,
    green4,
    lerp4,
    load1,
    load4,
    make4,
    mul4,
    red4,
    splat4,
    sub4,
)

_PI = np.float32(math.pi)
LEAST_ROUGH = np.float32(0.03)
"""Smoother surfaces are lit by the lamp as if they were this rough; its mirror image would be a single point."""
DIELECTRIC = np.float32(0.04)
"""Reflectance, looked at straight, of everything that is no metal: index of refraction 1.5."""


@inlined
def octahedron(x, y, z):
    """Where a direction lies on the unfolded octahedron, both in [0, 1]; y is up and in the middle."""
    s = np.float32(1) / (abs(x) + abs(y) + abs(z))
    p, q = x * s, z * s
    if y < 0:
        a = (np.float32(1) - abs(q)) * (np.float32(1) if p >= 0 else np.float32(-1))
        b = (np.float32(1) - abs(p)) * (np.float32(1) if q >= 0 else np.float32(-1))
        p, q = a, b
    half = np.float32(0.5)
    return p * half + half, q * half + half


@inlined
def read_map(at, size, u, v):
    """Bilinear read of an octahedral map with one texel of border on every side."""
    w = size + 2
    x, y = u * np.float32(size) + np.float32(0.5), v * np.float32(size) + np.float32(0.5)
    x0, y0 = min(max(floor1(x), 0), size), min(max(floor1(y), 0), size)
    fx, fy = x - np.float32(x0), y - np.float32(y0)
    row = at + np.uint64((y0 * w + x0) * 16)
    low = row + np.uint64(w * 16)
    sx = splat4(fx)
    return lerp4(
        lerp4(load4(row), load4(row + np.uint64(16)), sx), lerp4(load4(low), load4(low + np.uint64(16)), sx), splat4(fy)
    )


@inlined
def read_table(light, nv, rough):
    """Scale and shift of the reflectance that a whole even sky would give."""
    n = light.table_size
    x = min(max(nv * np.float32(n) - np.float32(0.5), np.float32(0)), np.float32(n - 1))
    y = min(max(rough * np.float32(n) - np.float32(0.5), np.float32(0)), np.float32(n - 1))
    x0, y0 = min(int(x), n - 2), min(int(y), n - 2)
    fx, fy = x - np.float32(x0), y - np.float32(y0)
    a = light.table + np.uint64((y0 * n + x0) * 8)
    b = a + np.uint64(n * 8)
    out0, out1 = np.float32(0), np.float32(0)
    for k in range(2):
        o = np.uint64(4 * k)
        top = load1(a + o) + (load1(a + o + np.uint64(8)) - load1(a + o)) * fx
        low = load1(b + o) + (load1(b + o + np.uint64(8)) - load1(b + o)) * fx
        v = top + (low - top) * fy
        if k == 0:
            out0 = v
        else:
            out1 = v
    return out0, out1


@inlined
def facets(a2, nh):
    """Share of the facets that face along the half vector: GGX with ``a2 = α²``."""
    # In this form nothing cancels at nh near 1, where the highlight is.
    d = nh * nh * (a2 - np.float32(1)) + np.float32(1)
    return a2 / (_PI * d * d)


@inlined
def visible(a2, nl, nv):
    """Masking and shadowing together, over ``4 n·l n·v``; for GGX, height-correlated."""
    one = np.float32(1)
    s = nl * math.sqrt(nv * nv * (one - a2) + a2) + nv * math.sqrt(nl * nl * (one - a2) + a2)
    return np.float32(0.5) / max(s, np.float32(1e-7))


@inlined
def lamp_share(light, x, y, z):
    """Share of the lamp that reaches a place: solid casters hide it, pierced ones let their share through."""
    n = light.shadow_size
    if n == 0:
        return np.float32(1)
    m = light.shadow_rows
    u = m[0, 0] * x + m[0, 1] * y + m[0, 2] * z + m[0, 3] - np.float32(0.5)
    v = m[1, 0] * x + m[1, 1] * y + m[1, 2] * z + m[1, 3] - np.float32(0.5)
    near = m[2, 0] * x + m[2, 1] * y + m[2, 2] * z + m[2, 3]
    # Written so that NaN, of a place infinitely far, is outside too.
    if not (u >= 0 and v >= 0 and u < np.float32(n - 1) and v < np.float32(n - 1)):
        return np.float32(1)
    x0, y0 = int(u), int(v)
    fx, fy = u - np.float32(x0), v - np.float32(y0)
    # Each of the four texels is compared, then the answers are mixed: mixed depths would shade what is in full light
    # (Reeves, Salesin and Cook 1987).
    total = np.float32(0)
    one = np.float32(1)
    for j in range(2):
        wy = fy if j else one - fy
        for i in range(2):
            wx = fx if i else one - fx
            at = light.shadow + np.uint64(((y0 + j) * n + x0 + i) * 12)
            lit = np.float32(0) if load1(at) > near else one
            if load1(at + np.uint64(4)) > near:
                lit *= load1(at + np.uint64(8))
            total += wx * wy * lit
    return total


@inlined
def _share4(to, n, view, f0, matt, rough, nl, nv):
    # What of a lamp's light goes on to the eye: mirrored by microfacets, and matt where it is not mirrored.
    one, zero = np.float32(1), np.float32(0)
    hx, hy, hz = to[0] + view[0], to[1] + view[1], to[2] + view[2]
    inv = one / math.sqrt(max(hx * hx + hy * hy + hz * hz, np.float32(1e-12)))
    nh = min(max((n[0] * hx + n[1] * hy + n[2] * hz) * inv, zero), one)
    vh = min(max((view[0] * hx + view[1] * hy + view[2] * hz) * inv, zero), one)
    a = max(rough, LEAST_ROUGH)
    a *= a
    a2 = a * a
    g = facets(a2, nh) * visible(a2, nl, nv) * _PI
    p = one - vh
    p2 = p * p
    f = fma4(sub4(splat4(one), f0), splat4(p2 * p2 * p), f0)
    return fma4(f, splat4(g), mul4(matt, sub4(splat4(one), f)))


@inlined
def _near4(lamp, n, view, place, f0, matt, rough, nv):
    # A lamp near by: it falls off with the square of its distance, and to nothing at its reach (Karis 2013).
    one, zero = np.float32(1), np.float32(0)
    lx, ly, lz = lamp[0] - place[0], lamp[1] - place[1], lamp[2] - place[2]
    d2 = lx * lx + ly * ly + lz * lz
    out = splat4(zero)
    reach = lamp[3]
    if d2 < reach * reach:
        inv = one / math.sqrt(max(d2, np.float32(1e-8)))
        lx, ly, lz = lx * inv, ly * inv, lz * inv
        nl = n[0] * lx + n[1] * ly + n[2] * lz
        if nl > zero:
            s = d2 / (reach * reach)
            w = max(one - s * s, zero)
            # Nearer than ten centimetres a lamp grows no brighter: it has a size, and its square would burn a hole.
            got = w * w / max(d2, np.float32(0.01)) * nl
            part = _share4((lx, ly, lz), n, view, f0, matt, rough, nl, nv)
            out = mul4(part, make4(lamp[4] * got, lamp[5] * got, lamp[6] * got, zero))
    return out


@inlined
def lit4(light, n, view, place, base, rough, metal, occlusion):
    """Light that leaves a surface towards the eye.

    Parameters
    ----------
    light : LIGHT record
    n, view, place : tuples of three float32
        Unit normal, unit direction to the eye, the place in the world.
    base : four float32
        Colour in linear light.
    rough, metal, occlusion : float32 in [0, 1]

    Returns
    -------
    four float32; the last is of no meaning
    """
    one, zero = np.float32(1), np.float32(0)
    nx, ny, nz = n
    vx, vy, vz = view
    # A bumped normal may look away from the eye; a little above zero keeps the masking term finite.
    nv = max(nx * vx + ny * vy + nz * vz, np.float32(1e-4))
    f0 = lerp4(splat4(DIELECTRIC), base, splat4(metal))
    matt = mul4(base, splat4(one - metal))
    # The environment.
    scale, shift = read_table(light, nv, rough)
    mirrored = fma4(f0, splat4(scale), splat4(shift))
    c, s = light.turn[0], light.turn[1]
    u, v = octahedron(c * nx - s * nz, ny, s * nx + c * nz)
    even = read_map(light.even, light.even_size, u, v)
    rx, ry, rz = np.float32(2) * nv * nx - vx, np.float32(2) * nv * ny - vy, np.float32(2) * nv * nz - vz
    u, v = octahedron(c * rx - s * rz, ry, s * rx + c * rz)
    # One map for each step of roughness, the next two mixed: the lobes widen evenly with it.
    lod = rough * np.float32(light.levels - 1)
    k = min(int(lod), light.levels - 2)
    sharp = read_map(light.sky + np.uint64(light.starts[k] * 16), light.sizes[k], u, v)
    dull = read_map(light.sky + np.uint64(light.starts[k + 1] * 16), light.sizes[k + 1], u, v)
    seen = lerp4(sharp, dull, splat4(lod - np.float32(k)))
    # What is mirrored is not scattered as well: the two never add up to more than came in.
    out = mul4(matt, mul4(even, sub4(splat4(one), mirrored)))
    out = mul4(fma4(seen, mirrored, out), splat4(occlusion * light.strength))
    # The lamp.
    lx, ly, lz = light.lamp[0], light.lamp[1], light.lamp[2]
    nl = nx * lx + ny * ly + nz * lz
    if nl > zero and light.lamp_colour[0] + light.lamp_colour[1] + light.lamp_colour[2] > zero:
        # Moved out along the normal by one and a half texels of the shadow map, more where the lamp grazes: a surface
        # does not shade itself through the map's own steps.
        off = light.shadow_texel * (np.float32(1.5) + np.float32(2) * (one - nl))
        got = lamp_share(light, place[0] + nx * off, place[1] + ny * off, place[2] + nz * off) * nl
        if got > zero:
            part = _share4((lx, ly, lz), n, view, f0, matt, rough, nl, nv)
            lamp = make4(light.lamp_colour[0] * got, light.lamp_colour[1] * got, light.lamp_colour[2] * got, zero)
            out = add4(out, mul4(part, lamp))
    for k in range(light.points):
        out = add4(out, _near4(light.point[k], n, view, place, f0, matt, rough, nv))
    return out


@kernel
def lit_many(lights, normals, views, places, base, surface, out):
    """`lit4` for many places: ``base`` (n, 4), ``surface`` (n, 3) of roughness, metal, occlusion."""
    for i in range(len(out)):
        n = (normals[i, 0], normals[i, 1], normals[i, 2])
        v = (views[i, 0], views[i, 1], views[i, 2])
        p = (places[i, 0], places[i, 1], places[i, 2])
        b = make4(base[i, 0], base[i, 1], base[i, 2], base[i, 3])
        r = lit4(lights[0], n, v, p, b, surface[i, 0], surface[i, 1], surface[i, 2])
        out[i, 0], out[i, 1], out[i, 2] = red4(r), green4(r), blue4(r)

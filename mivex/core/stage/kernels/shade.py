"""Shading: what a material's pictures say of a pixel, and the surfaces that are lit once decals have changed them.

A surface is sixteen floats: colour and roughness; normal and metal; glow (light already worked out) and occlusion;
for each channel the share of its own light that shows, and the picture's alpha.
"""

import math

import numpy as np

from mivex.core.base.compile import inlined, kernel
from mivex.core.pixels.kernels.blend_codes import ADDITIVE, DITHERED, PREMULTIPLIED
from mivex.core.pixels.kernels.lanes import (
    add4,
    blue4,
    fma1,
    fma4,
    green4,
    last4,
    lerp4,
    load1,
    load4,
    make4,
    mul4,
    red4,
    splat4,
    store4,
    with_last4,
)
from mivex.core.pixels.kernels.merge import blend4, contribution4, joined4
from mivex.core.pixels.kernels.sampling import high_of, in_level4, level_of, levels_of, trilinear4, wide_of
from mivex.core.stage.kernels.effects import (
    BROKEN,
    CONTACT,
    EROSION,
    FLOW,
    FRAMES,
    GLASS,
    HALO,
    RECOLOUR,
    TONES,
    bent,
    between_frames,
    broken,
    edged,
    faded,
    halo4,
    hashed_threshold,
    recoloured,
    with_halo4,
    worn,
)
from mivex.core.stage.kernels.light import lit4
from mivex.core.stage.kernels.transmission import blurred4


@inlined
def sample_with_lod(chain, u, v, w, gw, gu, gv, hw, hu, hv, wrap):
    """Sample at ``u, v`` with the level that the screen's derivatives ask for.

    ``gw, gu, gv``, ``hw, hu, hv``: change of 1/w, u/w, v/w per pixel across and down.
    """
    level, share = lean_level(chain, u, v, w, gw, gu, gv, hw, hu, hv)
    return trilinear4(chain, u, v, level, share, wrap)


@inlined
def lean_level(chain, u, v, w, gw, gu, gv, hw, hu, hv):
    """The level, and the share of the next one, that the screen's derivatives ask for; see `sample_with_lod`."""
    # The quotient rule: d(u)/dx = (d(u/w) − u · d(1/w)) · w, in texels of level 0.
    W, H = np.float32(wide_of(chain, 0)), np.float32(high_of(chain, 0))
    ux, vx = (gu - u * gw) * w * W, (gv - v * gw) * w * H
    uy, vy = (hu - u * hw) * w * W, (hv - v * hw) * w * H
    # The larger of the two footprints' lengths, squared: log2 of it needs no root.
    rho2 = max(ux * ux + vx * vx, uy * uy + vy * vy)
    level, share = 0, np.float32(0)
    if rho2 > np.float32(1):
        level, share = level_of(rho2, levels_of(chain) - 1)
    return level, share


@inlined
def _input(source, hold):
    """The value of one input, from the texels of this pixel."""
    # No picture: the value stands alone. The clamp below is for pictures, whose gain and shift may leave the range.
    if source.slot < 0:
        return source.shift
    texel = load1(hold + np.uint64(16 * source.slot + 4 * source.lane))
    return min(max(source.shift + source.gain * texel, np.float32(0)), np.float32(1))


@kernel
def surface_of(draw, poly, value, i, iw, hold):
    """Read everything a material says of pixel ``i`` of a row.

    Returns colour with alpha times opacity. ``hold``, an address, then has, from row 7 on, normal and roughness; metal,
    occlusion; glow; and u, v and the level that was read.
    """
    f = np.float32(i)
    one = np.float32(1)
    # What varies evenly over the screen is a quantity over depth, not the quantity: each is divided by 1/w again
    # here.
    w = one / iw
    gw, gu, gv = np.float32(poly.across[0]), np.float32(poly.across[1]), np.float32(poly.across[2])
    u = fma1(gu, f, load1(value + np.uint64(4))) * w
    v = fma1(gv, f, load1(value + np.uint64(8))) * w
    hw, hu, hv = np.float32(poly.down[0]), np.float32(poly.down[1]), np.float32(poly.down[2])
    if draw.special & FLOW:
        u, v = bent(draw, u, v, poly.own[1])
    at = hold
    # White where a material has no picture of its own colour: its tint is all there is.
    c = splat4(one)
    level, share, wide, high = poly.level, poly.share, np.int64(0), np.int64(0)
    own = np.float32(0)
    for k in range(draw.slots):
        chain = draw.chain[k]
        # Levels differ only with the size of a picture; of the first, a flat polygon knows it already.
        if wide_of(chain, 0) != wide or high_of(chain, 0) != high:
            wide, high = wide_of(chain, 0), high_of(chain, 0)
            if k > 0 or not poly.flat:
                level, share = lean_level(chain, u, v, w, gw, gu, gv, hw, hu, hv)
        got = trilinear4(chain, u, v, level, share, draw.wrap)
        # Two neighbouring frames of a sheet are one lookup each and a mix; the offset leads from one cell to the other.
        if draw.special & FRAMES and poly.own[4] > 0:
            got = between_frames(draw, poly, chain, got, u, v, level, share, k)
        if k == 0:
            c, own = got, np.float32(level) + share
        store4(at + np.uint64(16 * k), got)
    # Recolouring comes before the tint, since it reads what was painted; the tint is light's business.
    tint = make4(draw.tint[0], draw.tint[1], draw.tint[2], draw.tint[3])
    if draw.special & (RECOLOUR | TONES):
        c = recoloured(draw, c)
    if draw.opacity.slot >= 0:
        c = with_last4(c, _input(draw.opacity, hold))
    if draw.tinted:
        tint = mul4(
            tint,
            make4(
                fma1(np.float32(poly.across[6]), f, load1(value + np.uint64(24))) * w,
                fma1(np.float32(poly.across[7]), f, load1(value + np.uint64(28))) * w,
                fma1(np.float32(poly.across[8]), f, load1(value + np.uint64(32))) * w,
                fma1(np.float32(poly.across[9]), f, load1(value + np.uint64(36))) * w,
            ),
        )
    source = worn(draw, c, tint, poly.own[0]) if draw.special & EROSION else mul4(c, tint)
    if draw.special & BROKEN:
        source = broken(draw, source, u, v, poly.own[1], _input(draw.mask, hold))
    if draw.special & HALO and not draw.lit:
        source = with_halo4(draw, source, load4(hold))
    rough, metal, occlusion = _input(draw.rough, hold), _input(draw.metal, hold), _input(draw.occlusion, hold)
    nx, ny, nz = np.float32(0), np.float32(1), np.float32(0)
    if draw.lit or draw.looked or draw.special & GLASS:
        nx = fma1(np.float32(poly.across[3]), f, load1(value + np.uint64(12))) * w
        ny = fma1(np.float32(poly.across[4]), f, load1(value + np.uint64(16))) * w
        nz = fma1(np.float32(poly.across[5]), f, load1(value + np.uint64(20))) * w
        if draw.normal_slot >= 0:
            k = draw.normal_slot
            two = np.float32(2)
            # Strength scales the slope and leaves z: steeper bumps, still unit vectors after the division below.
            tx = (load1(hold + np.uint64(16 * k)) * two - one) * draw.normal_strength
            ty = (load1(hold + np.uint64(16 * k + 4)) * two - one) * draw.normal_strength * draw.green
            tz = load1(hold + np.uint64(16 * k + 8)) * two - one
            inv = one / math.sqrt(max(nx * nx + ny * ny + nz * nz, np.float32(1e-12)))
            nx, ny, nz = nx * inv, ny * inv, nz * inv
            ax, ay, az = poly.along[0], poly.along[1], poly.along[2]
            bx, by, bz = poly.upward[0], poly.upward[1], poly.upward[2]
            # Both axes are brought into the plane that the interpolated normal stands on.
            d = ax * nx + ay * ny + az * nz
            ax, ay, az = ax - d * nx, ay - d * ny, az - d * nz
            inv = one / math.sqrt(max(ax * ax + ay * ay + az * az, np.float32(1e-12)))
            ax, ay, az = ax * inv, ay * inv, az * inv
            d = bx * nx + by * ny + bz * nz
            bx, by, bz = bx - d * nx, by - d * ny, bz - d * nz
            d = ax * bx + ay * by + az * bz
            bx, by, bz = bx - d * ax, by - d * ay, bz - d * az
            inv = one / math.sqrt(max(bx * bx + by * by + bz * bz, np.float32(1e-12)))
            bx, by, bz = bx * inv, by * inv, bz * inv
            nx, ny, nz = (ax * tx + bx * ty + nx * tz, ay * tx + by * ty + ny * tz, az * tx + bz * ty + nz * tz)
        inv = one / math.sqrt(max(nx * nx + ny * ny + nz * nz, np.float32(1e-12)))
        # Both faces are lit from their own side.
        if poly.back:
            inv = -inv
        nx, ny, nz = nx * inv, ny * inv, nz * inv
    glow = splat4(np.float32(0))
    if draw.glow[0] + draw.glow[1] + draw.glow[2] > 0:
        glow = make4(draw.glow[0], draw.glow[1], draw.glow[2], np.float32(0))
        if draw.glow_slot >= 0:
            glow = mul4(glow, load4(at + np.uint64(16 * draw.glow_slot)))
    if draw.special & HALO:
        glow = add4(glow, halo4(draw, load4(hold)))
    store4(at + np.uint64(144), glow)
    store4(at + np.uint64(160), make4(u, v, own, np.float32(0)))
    store4(at + np.uint64(112), make4(nx, ny, nz, rough))
    store4(at + np.uint64(128), make4(metal, occlusion, np.float32(0), np.float32(0)))
    return source


@inlined
def _eye(frame, iw, x, y):
    """Where a pixel lies in the world, and the unit direction from it to the eye."""
    # The floor of 1e-4 is 10 km: beyond it a direction is the same to float32, and 1/0 must not reach the kernels.
    z = np.float32(1) / max(iw, np.float32(1e-4))  # nothing there: far away
    half = np.float32(0.5)
    a = (np.float32(x) + half - frame.x) / frame.focal
    b = (frame.y - np.float32(y) - half) / frame.focal
    dx = frame.ahead[0] + a * frame.right[0] + b * frame.up[0]
    dy = frame.ahead[1] + a * frame.right[1] + b * frame.up[1]
    dz = frame.ahead[2] + a * frame.right[2] + b * frame.up[2]
    inv = np.float32(-1) / math.sqrt(dx * dx + dy * dy + dz * dz)
    return ((frame.eye[0] + dx * z, frame.eye[1] + dy * z, frame.eye[2] + dz * z), (dx * inv, dy * inv, dz * inv))


@kernel
def angled(frame, draw, source, hold, iw, x, y):
    """A fragment of glass, changed by the angle that it is seen at."""
    _, view = _eye(frame, iw, x, y)
    own = load4(hold + np.uint64(112))
    return edged(draw, source, red4(own) * view[0] + green4(own) * view[1] + blue4(own) * view[2])


@kernel
def behind4(frame, draw, hold, iw, x, y):
    """What is seen through a fragment that refracts: what is drawn already, where its bent ray comes out.

    Snell's law at the first face; a thin pane's second face turns the ray back, so that only its place has moved. Frosted
    by a Gaussian: two of its standard deviations are a tenth of the picture's height at most.
    """
    place, view = _eye(frame, iw, x, y)
    own = load4(hold + np.uint64(112))
    nx, ny, nz = red4(own), green4(own), blue4(own)
    one, zero = np.float32(1), np.float32(0)
    # Light may enter from either face: the normal is turned to the eye.
    # Both faces bend the same way; a normal that points away would give the ray of the inside.
    c = nx * view[0] + ny * view[1] + nz * view[2]
    if c < zero:
        nx, ny, nz, c = -nx, -ny, -nz, -c
    eta = one / max(draw.glass[0] + (draw.glass[1] - draw.glass[0]) * (one - c), one)
    # eta ≤ 1, so that there is no total reflection at the first face; the guard is for rounding at grazing angles.
    s = math.sqrt(max(one - eta * eta * (one - c * c), zero))
    k = eta * c - s
    rx, ry, rz = k * nx - eta * view[0], k * ny - eta * view[1], k * nz - eta * view[2]
    long = draw.bend[0]
    if draw.bend[1] == zero:
        # Through a pane the way grows with the slant; at 1e-3, a thousand times its thickness, nothing is to be seen.
        long = long / max(s, np.float32(1e-3))
    ex = place[0] + rx * long - frame.eye[0]
    ey = place[1] + ry * long - frame.eye[1]
    ez = place[2] + rz * long - frame.eye[2]
    # Behind the eye nothing is drawn: the ray is kept in front, where it reads the picture's edge.
    z = max(ex * frame.ahead[0] + ey * frame.ahead[1] + ez * frame.ahead[2], np.float32(1e-4))
    a = (ex * frame.right[0] + ey * frame.right[1] + ez * frame.right[2]) / z
    b = (ex * frame.up[0] + ey * frame.up[1] + ez * frame.up[2]) / z
    u = (frame.x + frame.focal * a) / np.float32(frame.width)
    v = (frame.y - frame.focal * b) / np.float32(frame.height)
    # The setting is a share of a tenth of the picture's height, so that a larger picture is no sharper.
    blur = draw.bend[2] * last4(own) * np.float32(0.1) * np.float32(frame.height)
    if blur > zero:
        return blurred4(frame.behind, u, v, blur)
    return in_level4(frame.behind, 0, u, v, False)


@inlined
def contact_fade(frame, draw, source, iw, x, y):
    """A fragment, faded where it comes near to what is solid."""
    if draw.special & CONTACT:
        source = faded(draw, source, iw, load1(frame.scene + np.uint64((y * frame.width + x) * 4)))
    return source


@kernel
def surface_threshold(draw, poly, value, i, iw):
    """The dither threshold of a pixel, anchored to its surface."""
    f, one = np.float32(i), np.float32(1)
    w = one / iw
    gw, gu, gv = np.float32(poly.across[0]), np.float32(poly.across[1]), np.float32(poly.across[2])
    hw, hu, hv = np.float32(poly.down[0]), np.float32(poly.down[1]), np.float32(poly.down[2])
    u = fma1(gu, f, load1(value + np.uint64(4))) * w
    v = fma1(gv, f, load1(value + np.uint64(8))) * w
    ux, vx, uy, vy = (gu - u * gw) * w, (gv - v * gw) * w, (hu - u * hw) * w, (hv - v * hw) * w
    return hashed_threshold(u, v, max(math.sqrt(ux * ux + vx * vx), math.sqrt(uy * uy + vy * vy)))


@kernel
def lit_fragment(frame, light, source, hold, iw, x, y):
    """Colour of a fragment that is lit where it is drawn; its alpha stays."""
    place, view = _eye(frame, iw, x, y)
    own = load4(hold + np.uint64(112))
    n = (red4(own), green4(own), blue4(own))
    out = lit4(light, n, view, place, source, last4(own), load1(hold + np.uint64(128)), load1(hold + np.uint64(132)))
    out = add4(out, load4(hold + np.uint64(144)))
    return with_last4(out, last4(source))


@kernel
def lit_surface(frame, light, at, x, y):
    """What is seen of the surface at address ``at``, that of pixel ``x, y``: its light, and the picture's alpha."""
    third, share = load4(at + np.uint64(32)), load4(at + np.uint64(48))
    out = third
    if red4(share) + green4(share) + blue4(share) > np.float32(0):
        iw = load1(frame.depth + np.uint64(y * frame.width + x) * np.uint64(4))
        place, view = _eye(frame, iw, x, y)
        first, second = load4(at), load4(at + np.uint64(16))
        n = (red4(second), green4(second), blue4(second))
        lit = lit4(light, n, view, place, first, last4(first), last4(second), last4(third))
        out = fma4(lit, share, third)
    return with_last4(out, last4(share))


@kernel
def accumulate_surface(frame, light, draw, source, hold, at, x, y):
    """Lay a fragment on a surface that is still to be lit.

    A lit one of a decal, or an opaque one, changes what the surface is; anything else adds to its glow, and covers
    it, exactly as its blend does.
    """
    one = np.float32(1)
    # The two branches differ in order only: light is additive, display values are not.
    if frame.display and draw.blend > DITHERED and not draw.decal:
        # On display values light is no sum of its shares: what is below has to be lit before it is covered.
        seen = blend4(frame.display, draw.blend, source, lit_surface(frame, light, at, x, y), draw.tint[3])
        store4(at + np.uint64(32), with_last4(seen, load1(at + np.uint64(44))))
        store4(at + np.uint64(48), with_last4(splat4(np.float32(0)), last4(seen)))
        return
    add, keep = contribution4(draw.blend, source, draw.tint[3])
    below = load4(at + np.uint64(48))
    # Additive and screen never lessen the picture's alpha: what was covered stays covered.
    alpha = last4(add) + (last4(below) if draw.blend >= ADDITIVE else last4(below) * last4(keep))
    own = load4(hold + np.uint64(112))
    if not draw.lit or not (draw.decal or draw.blend <= DITHERED):
        glow = load4(at + np.uint64(32))
        store4(at + np.uint64(32), with_last4(joined4(add, keep, glow), last4(glow)))
        store4(at + np.uint64(48), with_last4(mul4(below, keep), alpha))
        return
    glow = load4(hold + np.uint64(144))
    if draw.blend <= DITHERED:
        store4(at, with_last4(source, last4(own)))
        store4(at + np.uint64(16), with_last4(own, load1(hold + np.uint64(128))))
        store4(at + np.uint64(32), with_last4(glow, load1(hold + np.uint64(132))))
        store4(at + np.uint64(48), splat4(one))
        return
    a = last4(source)
    colour = source
    if draw.blend == PREMULTIPLIED:  # premultiplied: as much cover as holds its colour
        o = draw.tint[3]
        a = min(max(a, red4(source) * o, green4(source) * o, blue4(source) * o), one)
        colour = mul4(source, splat4(o / max(a, np.float32(1e-6))))
    kept_share = mul4(below, keep)
    share = add4(kept_share, splat4(a))
    # Where the decal takes over wholly, its share of what is seen is one, however dark the film below: a over the mean.
    mean = (red4(share) + green4(share) + blue4(share)) / np.float32(3)
    m = a / max(mean, np.float32(1e-6))
    w = draw.weights
    first = load4(at)
    store4(at, lerp4(first, with_last4(colour, last4(own)), make4(m * w[0], m * w[0], m * w[0], m * w[1])))
    second = load4(at + np.uint64(16))
    n = lerp4(second, with_last4(own, load1(hold + np.uint64(128))), make4(m * w[2], m * w[2], m * w[2], m * w[1]))
    # A mean of two unit normals is shorter than one; left so, its light would be too dark.
    x, y, z = red4(n), green4(n), blue4(n)
    inv = one / math.sqrt(max(x * x + y * y + z * z, np.float32(1e-12)))
    store4(at + np.uint64(16), make4(x * inv, y * inv, z * inv, last4(n)))
    third = load4(at + np.uint64(32))
    occlusion = last4(third) + (load1(hold + np.uint64(132)) - last4(third)) * m * w[2]
    store4(at + np.uint64(32), with_last4(fma4(glow, splat4(a * w[3]), mul4(third, keep)), occlusion))
    store4(at + np.uint64(48), with_last4(share, alpha))


@kernel
def light_up(frames, lights, box, surfaces):
    """Light the surfaces of a box of the picture, and write what is seen of them."""
    frame, light = frames[0], lights[0]
    at = np.uint64(surfaces.ctypes.data)
    for y in range(box[0], box[1]):
        for x in range(box[2], box[3]):
            s = at + np.uint64(((y - box[0]) * frame.width + x) * 64)
            store4(frame.colour + np.uint64(y * frame.width + x) * np.uint64(16), lit_surface(frame, light, s, x, y))

"""Kernels of `mivex.core.prepare.light`."""

import numpy as np

from mivex.core.base.compile import kernel
from mivex.core.pixels.kernels.colour import decode_near, encode_near


@kernel
def light_rows(values, factor, weight, colour, by_value, glow, amount, share, linear, out, first, last):
    one, zero = np.float32(1), np.float32(0)
    for y in range(first, last):
        for x in range(out.shape[1]):
            w = weight[y, x] if weight.shape[0] > 1 or weight.shape[1] > 1 else weight[0, 0]
            if w != 0 and by_value:
                lum = zero
                for c in range(3):
                    v = values[y, x, c]
                    k = np.float32(0.2126) if c == 0 else np.float32(0.7152) if c == 1 else np.float32(0.0722)
                    lum += k * (decode_near(v) if linear else v)
                w *= lum
            for c in range(3):
                s = values[y, x, c]
                v = decode_near(s) if linear else s
                r = v * factor[c] + w * colour[c]
                if amount > 0:
                    r = one - (one - r) * (one - min(max(glow[y, x, c] * amount, zero), one))
                if share < one:
                    r = v + (r - v) * share
                if r == v:
                    out[y, x, c] = s
                else:
                    r = min(max(r, zero), one)
                    out[y, x, c] = encode_near(r) if linear else r
            out[y, x, 3] = values[y, x, 3]


@kernel
def over_rows(values, light, cover, linear, out, first, last):
    one, zero = np.float32(1), np.float32(0)
    for y in range(first, last):
        for x in range(out.shape[1]):
            c, a = cover[y, x], values[y, x, 3]
            j, i = (y, x) if light.shape[0] > 1 or light.shape[1] > 1 else (0, 0)
            under = a * (one - c)
            alpha = c + under
            for k in range(3):
                s = values[y, x, k]
                if c <= zero and alpha > zero:
                    out[y, x, k] = s
                    continue
                r = light[j, i, k]
                if alpha > zero:
                    r = (r * c + (decode_near(s) if linear else s) * under) / alpha
                r = min(max(r, zero), one)
                out[y, x, k] = encode_near(r) if linear else r
            out[y, x, 3] = min(alpha, one)


@kernel
def matte_rows(values, B, alpha, share, linear, out, first, last):
    one, zero = np.float32(1), np.float32(0)
    for y in range(first, last):
        for x in range(out.shape[1]):
            a = alpha[y, x]
            keep = one - share * (one - a)
            for c in range(3):
                s = values[y, x, c]
                v = decode_near(s) if linear else s
                r = v
                if a > zero and keep < one:
                    r = min(max((v - B[c]) / keep + B[c], zero), one) if keep > np.float32(1e-6) else B[c]
                if r == v:
                    out[y, x, c] = s
                else:
                    out[y, x, c] = encode_near(r) if linear else r
            out[y, x, 3] = a


@kernel
def mix_rows(values, colours, out, first, last):
    for y in range(first, last):
        for x in range(out.shape[1]):
            for c in range(3):
                r = np.float32(0)
                for m in range(4):
                    r += values[y, x, m] * colours[m, c]
                out[y, x, c] = encode_near(min(max(r, np.float32(0)), np.float32(1)))
            out[y, x, 3] = values[y, x, 3]

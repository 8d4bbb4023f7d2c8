"""Kernels of `mivex.core.prepare.tiling`."""

import numpy as np

from mivex.core.base.compile import inlined, kernel


@inlined
def _hash(x, y, seed):
    # Numba widens 32-bit products to 64 bits; the mask brings them back.
    low = np.uint64(0xFFFFFFFF)
    h = (np.uint64(x) * np.uint64(0x9E3779B1) & low) ^ (np.uint64(y) * np.uint64(0x85EBCA77) & low) ^ np.uint64(seed)
    h = ((h ^ (h >> np.uint64(15))) * np.uint64(0x2C1B3C6D)) & low
    h = ((h ^ (h >> np.uint64(12))) * np.uint64(0x297A2D39)) & low
    return h ^ (h >> np.uint64(15))


_COS = np.cos(np.arange(16) * np.pi / 8).astype(np.float32)

_SIN = np.sin(np.arange(16) * np.pi / 8).astype(np.float32)


@kernel
def noise_rows(cells_x, cells_y, octaves, seed, form, out, first, last):
    h, w = out.shape
    one = np.float32(1)
    cell, place, ease = np.empty(w, np.int64), np.empty(w, np.float32), np.empty(w, np.float32)
    begins = np.empty(w + 1, np.int64)
    for o in range(octaves):
        nx, ny = cells_x << o, cells_y << o
        weight = np.float32(0.5**o)
        s = seed * 1013 + o * 7919
        for x in range(w):
            u = (np.float32(x) + np.float32(0.5)) / np.float32(w) * np.float32(nx)
            cell[x] = int(u)
            fx = u - np.float32(cell[x])
            place[x], ease[x] = fx, fx * fx * fx * (fx * (fx * np.float32(6) - np.float32(15)) + np.float32(10))
        runs = 0
        for x in range(w):
            if x == 0 or cell[x] != cell[x - 1]:
                begins[runs] = x
                runs += 1
        begins[runs] = w
        for y in range(first, last):
            v = (np.float32(y) + np.float32(0.5)) / np.float32(h) * np.float32(ny)
            iy = int(v)
            fy = v - np.float32(iy)
            jy = (iy + 1) % ny
            iy %= ny
            ey = fy * fy * fy * (fy * (fy * np.float32(6) - np.float32(15)) + np.float32(10))
            for r in range(runs):
                # The slopes at a cell's four corners serve all its texels of this row.
                x, end = begins[r], begins[r + 1]
                ix = cell[x]
                jx, kx = (ix + 1) % nx, ix % nx
                a, b = _hash(kx, iy, s) & np.uint64(15), _hash(jx, iy, s) & np.uint64(15)
                c, d = _hash(kx, jy, s) & np.uint64(15), _hash(jx, jy, s) & np.uint64(15)
                c00, c01, c10, c11 = _COS[a], _COS[b], _COS[c], _COS[d]
                t0, t1 = _SIN[a] * fy, _SIN[b] * fy - c01
                l0, l1 = _SIN[c] * (fy - one), _SIN[d] * (fy - one) - c11
                # Slices, not indices: so the loops need no bounds and run on vectors.
                place_run, ease_run, out_run = place[x:end], ease[x:end], out[y, x:end]
                for i in range(place_run.size):
                    fx, ex = place_run[i], ease_run[i]
                    top, low = c00 * fx + t0, c10 * fx + l0
                    top += (c01 * fx + t1 - top) * ex
                    low += (c11 * fx + l1 - low) * ex
                    n = (top + (low - top) * ey) * np.float32(1.4)
                    out_run[i] += weight * (n if form == 0 else np.float32(0.55) - abs(n) * np.float32(2.2))


@kernel
def grain_rows(cells_x, cells_y, octaves, seed, out, first, last):
    h, w = out.shape
    for y in range(first, last):
        for o in range(octaves):
            ny, nx = cells_y << o, cells_x << o
            iy = min(int((np.float32(y) + np.float32(0.5)) / np.float32(h) * np.float32(ny)), ny - 1)
            for x in range(w):
                ix = min(int((np.float32(x) + np.float32(0.5)) / np.float32(w) * np.float32(nx)), nx - 1)
                r = np.float32(_hash(ix, iy, seed * 1013 + o * 7919) & np.uint64(65535))
                out[y, x] += np.float32(0.5**o) * (r / np.float32(32767.5) - np.float32(1)) * np.float32(0.6)


@kernel
def tile_rows(p, across, down, out, first, last):
    h, w = p.shape[0], p.shape[1]
    one = np.float32(1)
    for y in range(first, last):
        ky = down[y] if down.size > 1 else one
        j = (y + h // 2) % h
        for x in range(w):
            kx = across[x] if across.size > 1 else one
            i = (x + w // 2) % w
            for c in range(4):
                near = p[y, x, c] * kx + p[y, i, c] * (one - kx)
                far = p[j, x, c] * kx + p[j, i, c] * (one - kx)
                out[y, x, c] = near * ky + far * (one - ky)

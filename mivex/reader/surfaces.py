# SPDX-License-Identifier: 0BSD
# Anybody may copy, change and use this file for anything, without naming where it came from. It needs NumPy only.
"""From triangles to fragments, and what a material says of each. ``docs/blend-spec.md`` says the same in words."""

import math

import numpy as np

from mivex.reader.delivery import NUMBER, display, linear

NEAR = 0.02


def unit(v):
    """Vectors of length one."""
    return v / np.maximum(np.linalg.norm(v, axis=-1, keepdims=True), 1e-12)


def smoothly(low, high, v):
    """0 below ``low``, 1 above ``high``, and a smooth way between."""
    t = np.clip((v - low) / np.maximum(high - low, 1e-6), 0, 1)
    return t * t * (3 - 2 * t)


# 5. The camera
class View:
    """A camera for a picture of a size: axes right, up, ahead; the eye; the focal length in pixels."""

    def __init__(self, camera, width, height):
        yaw, pitch = math.radians(camera["yaw"]), math.radians(camera["pitch"])
        ahead = np.array([-math.sin(yaw) * math.cos(pitch), -math.sin(pitch), -math.cos(yaw) * math.cos(pitch)])
        right = np.array([math.cos(yaw), 0.0, -math.sin(yaw)])
        self.axes = np.stack([right, np.cross(right, ahead), ahead])
        self.eye = np.array(camera["target"]) - ahead * camera["distance"]
        self.width, self.height = width, height
        self.focal = min(height, width / 1.25) / 2 / math.tan(math.radians(camera["fov"]) / 2)


def stood(d, view):
    """A draw with its corners in the world: what turns to the camera is turned."""
    if not d["turns"]:
        return d
    up = np.array([0.0, 1, 0]) if d["turns"] == "upright" else view.axes[1]
    turn = np.stack([view.axes[0], up, unit(np.cross(view.axes[0], up))])
    return d | {"place": d["place"] @ turn + d["at"], "normal": d["normal"] @ turn, "stands": d["stands"] @ turn + d["at"]}


# 6. Triangles
def covered(corners, width, height):
    """Pixels whose centres a triangle (3, 2) on screen covers: columns, rows, and weights of its corners (n, 3).

    Of an edge that two triangles share, the centre belongs to one: top and left edges are in.
    """
    (x0, y0), (x1, y1), (x2, y2) = corners
    area = (x1 - x0) * (y2 - y0) - (x2 - x0) * (y1 - y0)
    if area == 0 or not np.isfinite(area):
        return None
    left, right = max(0, math.ceil(min(x0, x1, x2) - 0.5)), min(width - 1, math.floor(max(x0, x1, x2) - 0.5))
    top, low = max(0, math.ceil(min(y0, y1, y2) - 0.5)), min(height - 1, math.floor(max(y0, y1, y2) - 0.5))
    if left > right or top > low:
        return None
    x, y = np.meshgrid(np.arange(left, right + 1), np.arange(top, low + 1))
    weights, there = [], np.ones(x.shape, bool)
    s = 1.0 if area > 0 else -1.0
    for ax, ay, bx, by in ((x1, y1, x2, y2), (x2, y2, x0, y0), (x0, y0, x1, y1)):
        e = ((bx - ax) * (y + 0.5 - ay) - (by - ay) * (x + 0.5 - ax)) * s
        upper = (by - ay) * s < 0 or (by == ay and (bx - ax) * s > 0)
        there &= (e > 0) | ((e == 0) & upper)
        weights.append(e / abs(area))
    return (x[there], y[there], np.stack([w[there] for w in weights], axis=1)) if there.any() else None


def triangles(d, view):
    """Triangles of a draw on screen, cut at the near plane: corners in pixels, values at them, seen from behind or not.

    Values: distance ahead, u, v, normal (3), tint (4), place (3); and where u and minus v run in the world.
    """
    cam = (d["place"] - view.eye) @ view.axes.T
    uv = d["uv"] @ d["uv_rows"][:, :2].T + d["uv_rows"][:, 2]
    tint = np.broadcast_to(d["tint_by_corner"], (len(cam), 4))
    values = np.concatenate([cam[:, 2:], uv, d["normal"], tint, d["place"], cam[:, :2]], axis=1)
    rows = []
    for t in d["index"]:
        v = values[t]
        if (v[:, 0] < NEAR).all():
            continue
        cut = []
        for a, b in ((v[0], v[1]), (v[1], v[2]), (v[2], v[0])):
            if a[0] >= NEAR:
                cut.append(a)
            if (a[0] >= NEAR) != (b[0] >= NEAR):
                cut.append(a + (b - a) * ((NEAR - a[0]) / (b[0] - a[0])))
        e, f = d["place"][t[1]] - d["place"][t[0]], d["place"][t[2]] - d["place"][t[0]]
        (u1, v1), (u2, v2) = uv[t[1]] - uv[t[0]], uv[t[2]] - uv[t[0]]
        det = u1 * v2 - u2 * v1
        along, up = (unit((e * v2 - f * v1) / det), unit(-(f * u1 - e * u2) / det)) if abs(det) > 1e-20 else (e * 0, e * 0)
        for k in range(1, len(cut) - 1):
            p = np.stack([cut[0], cut[k], cut[k + 1]])
            at = np.stack(
                [view.width / 2 + view.focal * p[:, 13] / p[:, 0], view.height / 2 - view.focal * p[:, 14] / p[:, 0]], 1
            )
            area = (at[1, 0] - at[0, 0]) * (at[2, 1] - at[0, 1]) - (at[2, 0] - at[0, 0]) * (at[1, 1] - at[0, 1])
            if d["both"] or area < 0:
                rows.append((at, p[:, :13], area > 0, along, up))
    if d["distance"] == "triangle":
        rows.sort(key=lambda r: float(np.mean(1 / r[1][:, 0])))
    if d["back_first"]:
        rows.sort(key=lambda r: not r[2])
    return rows


def fragments(row, view):
    """Fragments of a triangle on screen: everything that is carried to its pixels, perspective-correct."""
    at, p, back, along, up = row
    found = covered(at, view.width, view.height)
    if found is None:
        return None
    x, y, w = found
    inverse = 1 / p[:, 0]
    over = np.concatenate([inverse[:, None], p[:, 1:] * inverse[:, None]], axis=1)
    # 1/w and everything over w are straight on screen: their steps across and down (Heckbert 1989).
    a, b = at[1] - at[0], at[2] - at[0]
    det = a[0] * b[1] - b[0] * a[1]
    across = ((over[1] - over[0]) * b[1] - (over[2] - over[0]) * a[1]) / det
    down = ((over[2] - over[0]) * a[0] - (over[1] - over[0]) * b[0]) / det
    seen = w @ over
    iw = seen[:, 0]
    v = seen[:, 1:] / iw[:, None]
    step = [((g[1:3] - v[:, :2] * g[0]) / iw[:, None]) for g in (across, down)]
    slope = max(abs(across[0]), abs(down[0])) / float(over[:, 0].mean()) ** 2
    return {"x": x, "y": y, "iw": iw, "uv": v[:, :2], "dx": step[0], "dy": step[1], "normal": v[:, 2:5], "tint": v[:, 5:9],
            "place": v[:, 9:12], "back": back, "along": along, "up": up, "slope": slope}  # fmt: skip


# 7. Texels
def bilinear(level, u, v, wrap):
    """Reads between the four nearest texels."""
    h, w = level.shape[:2]
    x, y = u * w - 0.5, v * h - 0.5
    x0, y0 = np.floor(x).astype(int), np.floor(y).astype(int)
    fx, fy = (x - x0)[:, None], (y - y0)[:, None]

    def at(i, j):
        return level[j % h, i % w] if wrap else level[np.clip(j, 0, h - 1), np.clip(i, 0, w - 1)]

    top = at(x0, y0) * (1 - fx) + at(x0 + 1, y0) * fx
    return top * (1 - fy) + (at(x0, y0 + 1) * (1 - fx) + at(x0 + 1, y0 + 1) * fx) * fy


def sampled(chain, f, uv, wrap):
    """Trilinear: the level by the larger of the two footprints."""
    h, w = chain[0].shape[:2]
    a, b = f["dx"] * [w, h], f["dy"] * [w, h]
    lod = np.clip(0.5 * np.log2(np.maximum(np.maximum((a * a).sum(1), (b * b).sum(1)), 1)), 0, len(chain) - 1)
    low = np.floor(lod).astype(int)
    out = np.zeros((len(lod), 4))
    for k in np.unique(low):
        m, share = low == k, (lod - low)[low == k][:, None]
        out[m] = bilinear(chain[k], uv[m, 0], uv[m, 1], wrap) * (1 - share)
        out[m] += bilinear(chain[min(k + 1, len(chain) - 1)], uv[m, 0], uv[m, 1], wrap) * share
    return out


def value(given, f, uv, wrap):
    """A value of a surface at fragments."""
    if given["chain"] is None:
        return np.full(len(uv), given["value"])
    v = sampled(given["chain"], f, uv, wrap)[:, given["lane"]]
    return np.clip(given["value"] * (1 - v if given["invert"] else v), 0, 1)


# 8. Noises
def lattice(x, y, seed):
    """A value from -1 to 1 for a point of the lattice, by 32-bit hashes."""
    m = 0xFFFFFFFF
    h = ((x.astype(np.int64) * 0x9E3779B1) & m) ^ ((y.astype(np.int64) * 0x85EBCA77) & m) ^ (np.asarray(seed, np.int64) & m)
    h = ((h ^ (h >> 15)) * 0x2C1B3C6D) & m
    h = ((h ^ (h >> 12)) * 0x297A2D39) & m
    return ((h ^ (h >> 15)) & 0xFFFF) / 32767.5 - 1


def eased(t):
    """6 t^5 - 15 t^4 + 10 t^3."""
    return t * t * t * (t * (t * 6 - 15) + 10)


def noise(x, y, seed):
    """Values at the lattice's points, eased between."""
    i, j = np.floor(x), np.floor(y)
    tx, ty = eased(x - i), eased(y - j)
    a, b, c, d = (lattice(i + p, j + q, seed) for p, q in ((0, 0), (1, 0), (0, 1), (1, 1)))
    top, low = a + (b - a) * tx, c + (d - c) * tx
    return top + (low - top) * ty


# 9. What a material says of a fragment
def surface_of(d, f, view):
    """Colour with alpha, normal, roughness, metal, occlusion, glow at fragments; see `docs/compositing.md`."""
    e, uv, wrap = d["effects"], f["uv"], d["wrap"]
    to_eye = unit(view.eye - f["place"])
    if "flow" in e and e["flow"]["strength"] > 0:
        w = e["flow"]
        x, y = uv[:, 0] * w["scale"] - w["right"] * w["time"], uv[:, 1] * w["scale"] + w["up"] * w["time"]
        held = {"none": 1, "top": np.clip(uv[:, 1], 0, 1), "bottom": np.clip(1 - uv[:, 1], 0, 1)}[w["hold"]]
        seed = 1 + (d["part"] * 101 if w["varied"] else 0)
        uv = uv + (w["strength"] * held * np.stack([noise(x, y, seed), noise(x, y, seed + 7919)])).T
    texel = sampled(d["colour"], f, uv, wrap)
    c = texel.copy()
    if e.get("recolour", {}).get("on"):
        c[:, :3] = c[:, :3] @ np.stack([linear(np.array(e["recolour"][k])) for k in ("red", "green", "blue")])
    if e.get("tones", {}).get("on"):
        t = e["tones"]
        v = c[:, NUMBER[t["lane"]]]
        v = display(v) if t["lane"] != "alpha" and d["encoded"] else v
        half = t["soft"] / 2
        share = (smoothly(t["at"] - half, t["at"] + half, v) if half > 0 else (v >= t["at"]) * 1.0)[:, None]
        below, above = linear(np.array(t["below"])), linear(np.array(t["above"]))
        c[:, :3] = below + (above - below) * share
    if d["opacity_from"] is not None and d["opacity_from"]["chain"] is not None:
        c[:, 3] = value(d["opacity_from"], f, uv, wrap)
    tint = np.concatenate([d["tint"], [d["opacity"]]]) * f["tint"]
    source, premultiplied = c * tint, d["blend"] == "Premultiplied"
    if e.get("erosion", {}).get("form", "none") != "none":
        w, a = e["erosion"], c[:, 3]
        by_tint = w["by"] == "tint"
        gone, t = (1 - tint[:, 3], np.ones(len(a))) if by_tint else (0.0 if w["by"] == "life" else w["amount"], tint[:, 3])
        left = {"fade": a * (1 - gone), "erode": np.clip(a - gone, 0, 1),
                "soft": np.where(gone < 1, smoothly(gone, gone + w["soft"], a), 0)}[w["form"]] * t  # fmt: skip
        if premultiplied:
            source *= (left / np.maximum(a * t, 1e-6) / (np.maximum(tint[:, 3], 1e-6) if by_tint else 1))[:, None]
        source[:, 3] = left
    if e.get("breakup", {}).get("amount", 0) > 0:
        w = e["breakup"]
        n = sum(
            0.5**k * noise(uv[:, 0] * w["scale"] * 2**k, uv[:, 1] * w["scale"] * 2**k, w["seed"] + 131 * k)
            for k in range(3)
        )
        n, half = np.clip(n * 0.45 + 0.5, 0, 1), w["soft"] / 2
        at = w["amount"] * (1 + 2 * half) - half
        share = smoothly(at - half, at + half, n)
        source *= share[:, None] if premultiplied else np.stack([*[np.ones(len(n))] * 3, share], axis=1)
    halo = np.zeros((len(c), 3))
    if e.get("halo", {}).get("strength", 0) > 0:
        halo = linear(np.array(e["halo"]["colour"])) * e["halo"]["strength"] * texel[:, [NUMBER[e["halo"]["lane"]]]]
    if not d["lit"]:
        source[:, :3] += halo
    n = unit(f["normal"])
    if d["bumps"] is not None:
        bump = sampled(d["bumps"], f, uv, wrap) * 2 - 1
        along = unit(f["along"] - n * (n @ f["along"])[:, None])
        up = f["up"] - n * (n @ f["up"])[:, None]
        up = unit(up - along * (up * along).sum(1, keepdims=True))
        n = along * bump[:, :1] * d["strength"] + up * bump[:, 1:2] * d["strength"] * d["green"] + n * bump[:, 2:3]
    n = unit(n) * (-1 if f["back"] else 1)
    glow = np.broadcast_to(d["glow"], (len(c), 3))
    if d["glow_chain"] is not None:
        glow = glow * sampled(d["glow_chain"], f, uv, wrap)[:, :3]
    if e.get("glass", {}).get("on"):
        g = e["glass"]
        w = np.clip(1 - np.abs((n * to_eye).sum(1)), 0, 1)
        index = g["index"] + (g["edge_index"] - g["index"]) * w
        f0 = ((index - 1) / (index + 1)) ** 2
        fresnel = f0 + (1 - f0) * w**5
        source[:, :3] += (linear(np.array(g["edge_colour"])) - source[:, :3]) * (fresnel * g["edge_share"])[:, None]
        source[:, 3] += (g["edge_opacity"] - source[:, 3]) * fresnel
    rough, metal, occlusion = (value(d[k], f, uv, wrap) for k in ("rough", "metal", "occlusion"))
    return {"colour": source[:, :3], "alpha": source[:, 3], "normal": n, "rough": rough, "metal": metal,
            "occlusion": occlusion, "glow": glow + (halo if d["lit"] else 0), "view": to_eye}  # fmt: skip

# SPDX-License-Identifier: 0BSD
# Anybody may copy, change and use this file for anything, without naming where it came from. It needs NumPy only.
"""Draws a delivery: plain, slow, and within a code of the stage. ``docs/blend-spec.md`` says the same in words."""

import math

import numpy as np

from mivex.reader.delivery import BLENDS, GROUPS, display, linear
from mivex.reader.surfaces import View, bilinear, covered, fragments, stood, surface_of, triangles, unit

GROUND, SIDE, SOLID = 0.18, 2048, BLENDS[:3]
BAYER = np.array([[0, 32, 8, 40, 2, 34, 10, 42], [48, 16, 56, 24, 50, 18, 58, 26], [12, 44, 4, 36, 14, 46, 6, 38],
    [60, 28, 52, 20, 62, 30, 54, 22], [3, 35, 11, 43, 1, 33, 9, 41], [51, 19, 59, 27, 49, 17, 57, 25],
    [15, 47, 7, 39, 13, 45, 5, 37], [63, 31, 55, 23, 61, 29, 53, 21]]) / 64 + 1 / 128  # fmt: skip


# 10. Light
def octahedron(d):
    """Where directions lie on the unfolded octahedron: y up, in the middle."""
    p = d / np.abs(d).sum(axis=1, keepdims=True)
    q = p[:, [0, 2]]
    fold = (1 - np.abs(q[:, ::-1])) * np.where(q >= 0, 1, -1)
    return np.where(d[:, 1:2] < 0, fold, q) / 2 + 0.5


class Light:
    """What falls on surfaces: the prefiltered environment, and one lamp with its shadows."""

    def __init__(self, delivery, casters):
        self.of = delivery
        light = delivery["stage"]["lighting"]
        t, h = math.radians(light["lamp_turn"]), math.radians(light["lamp_height"])
        self.to = np.array([math.sin(t) * math.cos(h), math.sin(h), math.cos(t) * math.cos(h)])
        self.lamp, self.ambient, self.turn = light["lamp"], light["strength"], math.radians(light["turn"])
        self.shadow = Shadow(casters, self.to) if light["shadows"] and light["lamp"] > 0 and casters else None

    def map_at(self, box, d):
        """Bilinear read of an octahedral map; around each lies a border of one texel."""
        x0, y0, side = box
        xy = octahedron(d) * side + 0.5
        i = np.clip(np.floor(xy).astype(int), 0, side)
        f = (xy - i)[:, :, None]
        at = lambda a, b: self.of["sky"][y0 + i[:, 1] + b, x0 + i[:, 0] + a]  # noqa: E731
        top, low = (at(0, k) * (1 - f[:, 0]) + at(1, k) * f[:, 0] for k in (0, 1))
        return top * (1 - f[:, 1]) + low * f[:, 1]

    def on(self, normal, view, place, base, rough, metal, occlusion):
        """Light that leaves surfaces towards the eye (n, 3)."""
        rough, metal, occlusion = rough[:, None], metal[:, None], occlusion[:, None]
        nv = np.maximum((normal * view).sum(1, keepdims=True), 1e-4)
        f0, matt = 0.04 + (base - 0.04) * metal, base * (1 - metal)
        table = self.of["table"]
        n = len(table)
        share = bilinear(
            table,
            (np.clip(nv[:, 0] * n - 0.5, 0, n - 1) + 0.5) / n,
            (np.clip(rough[:, 0] * n - 0.5, 0, n - 1) + 0.5) / n,
            False,
        )
        mirrored = f0 * share[:, :1] + share[:, 1:2]
        c, s = math.cos(self.turn), math.sin(self.turn)
        turn = np.array([[c, 0, s], [0, 1, 0], [-s, 0, c]])
        even = self.map_at(self.of["even"], normal @ turn)
        back = (2 * nv * normal - view) @ turn
        lod = rough[:, 0] * (len(self.of["levels"]) - 1)
        k = np.minimum(lod.astype(int), len(self.of["levels"]) - 2)
        seen = np.zeros_like(base)
        for level in np.unique(k):
            m = k == level
            sharp, dull = (self.map_at(self.of["levels"][level + j], back[m]) for j in (0, 1))
            seen[m] = sharp + (dull - sharp) * (lod[m] - level)[:, None]
        out = (matt * even * (1 - mirrored) + seen * mirrored) * occlusion * self.ambient
        nl = (normal @ self.to)[:, None]
        if self.lamp > 0 and (nl > 0).any():
            got = np.maximum(nl, 0)
            if self.shadow is not None:
                off = self.shadow.texel * (1.5 + 2 * (1 - nl))
                got = got * self.shadow.share(place + normal * off)[:, None]
            h = unit(self.to + view)
            nh, vh = (np.clip((a * h).sum(1, keepdims=True), 0, 1) for a in (normal, view))
            a2 = np.maximum(rough, 0.03) ** 4
            facets = a2 / (nh * nh * (a2 - 1) + 1) ** 2
            nl = np.maximum(nl, 0)
            hidden = 0.5 / np.maximum(nl * np.sqrt(nv * nv * (1 - a2) + a2) + nv * np.sqrt(nl * nl * (1 - a2) + a2), 1e-7)
            fresnel = (1 - f0) * (1 - vh) ** 5 + f0
            out += (fresnel * facets * hidden + matt * (1 - fresnel)) * self.lamp * got
        return out


class Shadow:
    """What the lamp sees: the nearest solid thing, the nearest pierced one, and the share that goes through those."""

    def __init__(self, casters, to):
        right = np.cross([0.0, 1, 0], to) if abs(to[1]) < 0.999 else np.array([1.0, 0, 0])
        right = right / np.linalg.norm(right)
        axes = np.stack([right, np.cross(to, right), -to])
        spots = np.concatenate([d["place"] for d in casters]) @ axes.T
        low, high = spots.min(axis=0), spots.max(axis=0)
        half = float((high - low)[:2].max()) / 2 * 1.01 + 1e-3
        self.scale, self.axes, self.middle = SIDE / (2 * half), axes, (low + high) / 2
        self.texel = 1 / self.scale
        self.solid, self.pierced = np.full((SIDE, SIDE), -1e9), np.full((SIDE, SIDE), -1e9)
        self.through = np.ones((SIDE, SIDE))
        for d in casters:
            holes = None if d["blend"] == "Solid" else holes_of(d)
            at = self.seen(d["place"])
            uv = d["uv"] @ d["uv_rows"][:, :2].T + d["uv_rows"][:, 2]
            for t in d["index"]:
                found = covered(at[t][:, :2], SIDE, SIDE)
                if found is None:
                    continue
                x, y, w = found
                near = w @ at[t][:, 2]
                if holes is None:
                    self.solid[y, x] = np.maximum(self.solid[y, x], near)
                    continue
                e, g = (at[t][k, :2] - at[t][0, :2] for k in (1, 2))
                p, q = uv[t][1] - uv[t][0], uv[t][2] - uv[t][0]
                det = e[0] * g[1] - g[0] * e[1]
                size = np.array(holes[0].shape[1::-1])
                rho = max(
                    np.linalg.norm((p * g[1] - q * e[1]) / det * size),
                    np.linalg.norm((q * e[0] - p * g[0]) / det * size),
                    1.0,
                )
                lod = min(math.log2(rho), len(holes) - 1)
                k, r = int(lod), lod - int(lod)
                u, v = (w @ uv[t]).T
                there = sum(
                    bilinear(holes[min(k + j, len(holes) - 1)], u, v, d["wrap"])[:, 0] * (r if j else 1 - r) for j in (0, 1)
                )
                m = there > 0.002
                self.pierced[y[m], x[m]] = np.maximum(self.pierced[y[m], x[m]], near[m])
                self.through[y[m], x[m]] *= 1 - there[m]

    def seen(self, p):
        """Column and row in texels, and nearness."""
        a = p @ self.axes.T
        return np.stack(
            [
                (a[:, 0] - self.middle[0]) * self.scale + SIDE / 2,
                SIDE / 2 - (a[:, 1] - self.middle[1]) * self.scale,
                -a[:, 2],
            ],
            1,
        )

    def share(self, p):
        """Share of the lamp that reaches places: four texels are compared, then mixed."""
        u, v, near = self.seen(p).T
        u, v = u - 0.5, v - 0.5
        inside = (u >= 0) & (v >= 0) & (u < SIDE - 1) & (v < SIDE - 1)
        u, v = np.where(inside, u, 0), np.where(inside, v, 0)
        x, y = u.astype(int), v.astype(int)
        total = np.zeros(len(u))
        for j in (0, 1):
            for i in (0, 1):
                at = y + j, x + i
                lit = (self.solid[at] <= near) * np.where(self.pierced[at] > near, self.through[at], 1)
                total += (u - x if i else 1 - u + x) * (v - y if j else 1 - v + y) * lit
        return np.where(inside, total, 1.0)


def holes_of(d):
    """The share of each texel that casts a shadow, with mip levels; of at most 512 texels a side."""
    from mivex.reader.delivery import chain_of

    given = d["opacity_from"]
    a = d["colour"][0][..., 3] if given is None or given["chain"] is None else given["chain"][0][..., given["lane"]]
    a = a * d["opacity"]
    there = a if d["blend"] == "Dithered" else (a >= d["cutoff"]) * 1.0
    rows = [there[..., None]]
    while max(rows[0].shape[:2]) > 512:
        rows = [chain_of([rows[0]], False)[1]]
    return chain_of(rows, False)


# 11. Blending
def blend(name, c, a, opacity, below, in_display):
    """What fragments make of what lies below them (n, 3)."""
    if name in SOLID:
        return c
    if in_display:
        c, below = display(c), display(below)
    a = a[:, None]
    made = {
        "Translucent": c * a + below * (1 - a),
        "Premultiplied": c * opacity + below * (1 - a),
        "Additive": c * a + below,
        "Multiply": below * (1 - a + c * a),
    }[name]
    return linear(made) if in_display else made


def threshold(d, f):
    """The threshold of Dithered: the matrix of the screen, or a hash of the surface (Wyman and McGuire 2017)."""
    if d["effects"].get("dither", {}).get("by") != "surface":
        return BAYER[f["y"] & 7, f["x"] & 7]
    from mivex.reader.surfaces import lattice

    rho = np.maximum(np.linalg.norm(f["dx"], axis=1), np.linalg.norm(f["dy"], axis=1))
    wanted = np.log2(1 / np.maximum(rho, 1e-9))
    low = np.floor(wanted)
    s = wanted - low
    cell = lambda k: lattice(np.floor(f["uv"][:, 0] * k), np.floor(f["uv"][:, 1] * k), 977) / 2 + 0.5  # noqa: E731
    x, a = (1 - s) * cell(2.0**low) + s * cell(2.0 ** (low + 1)), np.minimum(s, 1 - s)
    b = np.maximum(a, 1e-4)
    t = np.where(x < b, x * x / (2 * b * (1 - b)), (x - b / 2) / (1 - b))
    t = np.where(x >= 1 - b, 1 - (1 - x) ** 2 / (2 * b * (1 - b)), t)
    return np.clip(np.where(a < 1e-4, x, t), 1e-6, 1 - 1e-6)


def behind(d, f, s, view, picture):
    """What is seen through glass: what is drawn already, where the bent ray comes out (Snell)."""
    g = d["effects"]["glass"]
    c = (s["normal"] * s["view"]).sum(1, keepdims=True)
    n, c = np.where(c < 0, -s["normal"], s["normal"]), np.abs(c)
    eta = 1 / np.maximum(g["index"] + (g["edge_index"] - g["index"]) * (1 - c), 1)
    sine = np.sqrt(np.maximum(1 - eta * eta * (1 - c * c), 0))
    ray = (eta * c - sine) * n - eta * s["view"]
    way = g["thickness"] / (np.maximum(sine, 1e-3) if g["body"] == "thin" else 1)
    e = (f["place"] + ray * way - view.eye) @ view.axes.T
    z = np.maximum(e[:, 2], 1e-4)
    u, v = view.width / 2 + view.focal * e[:, 0] / z, view.height / 2 - view.focal * e[:, 1] / z
    return bilinear(picture, u / view.width, v / view.height, False)


# 12. Passes
class Picture:
    """What is drawn into: surfaces that are lit later, then the picture; 1/w of the nearest."""

    def __init__(self, view, light, in_display):
        self.view, self.light, self.in_display = view, light, in_display
        size = view.height, view.width
        self.depth, self.base, self.normal = np.zeros(size), np.zeros((*size, 3)), np.zeros((*size, 3))
        self.rough, self.metal, self.occlusion = (np.zeros(size) for _ in range(3))
        self.glow, self.share, self.colour = np.full((*size, 3), GROUND), np.zeros((*size, 3)), None
        self.scene = None

    def draw(self, d):
        """One draw: its depth first where that is asked for, then its colour, triangle by triangle in its order."""
        rows = triangles(d, self.view)
        for only_depth in (True, False) if d["first"] else (False,):
            if not self.reads(d):
                for row in rows:
                    self.triangle(d, row, only_depth, None)
                continue
            # What refracts sees its own back through its front.
            for back in (True, False):
                copy = self.colour.copy()
                for row in (r for r in rows if r[2] == back):
                    self.triangle(d, row, only_depth, copy)

    def reads(self, d):
        """Whether a draw is seen through bent."""
        g = d["effects"].get("glass", {})
        bends = g.get("on") and (g["thickness"] > 0 or g["frost"] > 0)
        return bool(bends and d["blend"] not in SOLID and self.colour is not None)

    def triangle(self, d, row, only_depth, copy):
        """One triangle of a draw."""
        f = fragments(row, self.view)
        if f is None:
            return
        bias = d["bias"] + d["slope"] * f["slope"]
        near = f["iw"] / np.maximum(1 - f["iw"] * bias, 1e-9)
        passes = near >= self.depth[f["y"], f["x"]] if d["test"] else np.ones(len(near), bool)
        s = surface_of(d, f, self.view)
        a = s["alpha"]
        if d["blend"] == "Cutout":
            passes &= a >= d["cutoff"]
        elif d["blend"] == "Dithered":
            passes &= a > threshold(d, f)
        if only_depth:
            passes &= a > 0
        if not passes.any():
            return
        at = f["y"][passes], f["x"][passes]
        s = {k: v[passes] for k, v in s.items()}
        f = f | {k: f[k][passes] for k in ("place", "iw")}
        if not only_depth:
            self.merge(d, f, s, at, copy)
        if d["write"] or only_depth:
            self.depth[at] = near[passes]

    def merge(self, d, f, s, at, copy):
        """Fragments into surfaces that are lit later, or into the picture."""
        c, a, before, decal = s["colour"], s["alpha"], self.colour is None, d["group"] == GROUPS.index("Decal")
        if before and d["lit"] and (d["blend"] in SOLID or decal):
            return self.surface(d, s, at)
        if d["lit"]:
            c = self.light.on(s["normal"], s["view"], f["place"], c, s["rough"], s["metal"], s["occlusion"]) + s["glow"]
        contact = d["effects"].get("contact", {}).get("distance", 0)
        if contact > 0 and d["blend"] not in SOLID and self.scene is not None:
            scene = self.scene[at]
            gap = np.where(scene > 0, 1 / np.maximum(scene, 1e-9) - 1 / f["iw"], np.inf)
            share = np.clip(gap / contact, 0, 1)
            a, c = a * share, c * share[:, None] if d["blend"] == "Premultiplied" else c
        if not before:
            below = self.colour[at] if copy is None else behind(d, f, s, self.view, copy)
            self.colour[at] = blend(d["blend"], c, a, d["opacity"], below, self.in_display)
            return None
        if self.in_display and d["blend"] not in SOLID:
            # On display values what lies below has to be lit before it is covered.
            self.glow[at] = blend(d["blend"], c, a, d["opacity"], self.seen(at), True)
            self.share[at] = 0
            return None
        zero = np.zeros_like(c)
        self.glow[at] = blend(d["blend"], c, a, d["opacity"], self.glow[at], False)
        keep = blend(d["blend"], c if d["blend"] == "Multiply" else zero, a, d["opacity"], self.share[at], False)
        self.share[at] = zero if d["blend"] in SOLID else keep
        return None

    def surface(self, d, s, at):
        """A solid thing, or a decal that changes what lies below it by its alpha."""
        c, a = s["colour"], s["alpha"]
        if d["blend"] in SOLID:
            self.base[at], self.normal[at], self.glow[at], self.share[at] = c, s["normal"], s["glow"], 1
            self.rough[at], self.metal[at], self.occlusion[at] = s["rough"], s["metal"], s["occlusion"]
            return
        if d["blend"] == "Premultiplied":
            a = np.clip(np.maximum(a, c.max(axis=1) * d["opacity"]), 0, 1)
            c = c * (d["opacity"] / np.maximum(a, 1e-6))[:, None]
        w = {"colour": 1.0, "gloss": 1.0, "bumps": 1.0, "glow": 1.0} | d["effects"].get("on_surface", {})
        keep = (1 - s["alpha"])[:, None]
        share = self.share[at] * keep + a[:, None]
        m = a / np.maximum(share.mean(axis=1), 1e-6)
        for held, new, by in ((self.base, c, "colour"), (self.normal, s["normal"], "bumps")):
            held[at] += (new - held[at]) * (m * w[by])[:, None]
        for held, new, by in (
            (self.rough, s["rough"], "gloss"),
            (self.metal, s["metal"], "gloss"),
            (self.occlusion, s["occlusion"], "bumps"),
        ):
            held[at] += (new - held[at]) * m * w[by]
        self.normal[at] = unit(self.normal[at])
        self.glow[at] = self.glow[at] * keep + s["glow"] * a[:, None] * w["glow"]
        self.share[at] = share

    def seen(self, at):
        """What is seen of surfaces: their light, by the share of it that is left, and their glow."""
        y, x = at
        out, v = self.glow[at].copy(), self.view
        lit = self.share[at].sum(axis=1) > 0
        if lit.any():
            p = np.stack(
                [(x[lit] + 0.5 - v.width / 2) / v.focal, (v.height / 2 - y[lit] - 0.5) / v.focal, np.ones(lit.sum())], 1
            )
            ray = p @ v.axes
            place = v.eye + ray / np.maximum(self.depth[y[lit], x[lit]], 1e-4)[:, None]
            at = y[lit], x[lit]
            light = self.light.on(
                self.normal[at], -unit(ray), place, self.base[at], self.rough[at], self.metal[at], self.occlusion[at]
            )
            out[lit] += light * self.share[at]
        return out


def draw(delivery, camera, width, height):
    """A delivery as one of its cameras sees it, without effects: display codes (height, width, 3)."""
    view = View(camera, width, height)
    light = delivery["stage"]["lighting"]
    rows = [stood(d, view) for d in delivery["draws"]]
    # Draw group, order nudge, from far to near; surroundings first, in their order; what is left, as listed.
    rows.sort(key=lambda d: (d["group"], d["nudge"], -distance(d, view) if d["overlay"] else 0.0))
    picture = Picture(view, Light(delivery, [d for d in rows if d["blend"] in SOLID]), light["blending"] == "display")
    decals = GROUPS.index("Decal")
    for d in (d for d in rows if d["group"] <= decals):
        picture.draw(d)
    y, x = np.mgrid[:height, :width]
    picture.colour = picture.seen((y.ravel(), x.ravel())).reshape(height, width, 3)
    picture.scene = picture.depth.copy()
    for d in (d for d in rows if d["group"] > decals):
        picture.draw(d)
    seen = np.maximum(picture.colour * 2.0 ** light["exposure"], 0)
    if light["curve"] == "soft":
        seen = np.where(seen > 0.8, 0.8 + 0.2 * (1 - np.exp((0.8 - seen) / 0.2)), seen)
    return np.rint(display(np.minimum(seen, 1)) * 255).astype(np.uint8)


def distance(d, view):
    """How far away a draw counts as."""
    if d["distance"] == "nearest":
        return float(np.linalg.norm(d["place"] - view.eye, axis=1).min())
    return float(np.linalg.norm(d["stands"] - view.eye))

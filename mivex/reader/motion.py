# SPDX-License-Identifier: 0BSD
# Anybody may copy, change and use this file for anything, without naming where it came from. It needs NumPy only.
"""Reads a delivered motion file: where every particle of an effect is at a time. The specification in code, plain and slow.

``docs/motion-spec.md`` says the same in words, section by section; the sections are named here.
"""

import json
import math
import struct
from pathlib import Path

import numpy as np

TICK, EARTH, TABLE = 1 / 60, 9.81, 1025  # seconds; metres a second, each second; values of a curve's table
NAMES = ("life", "width", "height", "turn", "spin", "speed", "towards", "around", "place_a", "place_b", "place_c",
         "place_d", "opacity", "tint", "frame", "spare", "look")  # fmt: skip
GOLDEN, WEYL = (0xD2E7470EE14C6C93, 0xCA5A826395121157), (0x9E3779B97F4A7C15, 0xBB67AE8584CAA73B)
WORD = (1 << 64) - 1


# 1. Chance
def philox(counter, key):
    """Four words of 64 bits: Philox 4x64 with ten rounds."""
    c, k = list(counter), list(key)
    for i in range(10):
        if i:
            k = [(k[0] + WEYL[0]) & WORD, (k[1] + WEYL[1]) & WORD]
        a, b = c[0] * GOLDEN[0], c[2] * GOLDEN[1]
        c = [(b >> 64) ^ c[1] ^ k[0], b & WORD, (a >> 64) ^ c[3] ^ k[1], a & WORD]
    return c


def chances(seed, stream, birth, blocks=5):
    """Numbers in [0, 1) of a birth: four of each block, in the order of `NAMES`."""
    words = [w for block in range(blocks) for w in philox((block, stream, 0, 0), (seed, birth))]
    return [(w >> 11) * 2.0**-53 for w in words]


# 2. Curves and colours
def points_of(curve):
    """Places and values; a place that does not lie beyond the one before it is moved 1e-9 behind it."""
    x, y = (np.array(v, float) for v in zip(*curve["points"], strict=True))
    for k in range(1, len(x)):
        if x[k] <= x[k - 1]:
            x[k] = x[k - 1] + 1e-9
    return x, y


def slopes(x, y):
    """Slopes at the points of a monotone cubic (Fritsch and Carlson 1980, with Brodlie's weights)."""
    h, d = np.diff(x), np.diff(y) / np.diff(x)
    m = np.zeros(len(x))
    for k in range(1, len(x) - 1):
        if d[k - 1] * d[k] > 0:
            a, b = 2 * h[k] + h[k - 1], h[k] + 2 * h[k - 1]
            m[k] = (a + b) / (a / d[k - 1] + b / d[k])
    for end, h0, h1, d0, d1 in ((0, h[0], h[1], d[0], d[1]), (-1, h[-1], h[-2], d[-1], d[-2])):
        s = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1)
        if s * d0 <= 0:
            s = 0.0
        elif d0 * d1 <= 0 and abs(s) > 3 * abs(d0):
            s = 3 * d0
        m[end] = s
    return m


def curve_at(curve, share):
    """A curve's exact value at shares of a life."""
    x, y = points_of(curve)
    t = np.clip(np.asarray(share, float), x[0], x[-1])
    if not curve["smooth"] or len(x) <= 2:
        return np.interp(t, x, y)
    m, k = slopes(x, y), np.clip(np.searchsorted(x, t, "right") - 1, 0, len(x) - 2)
    h = x[k + 1] - x[k]
    u = (t - x[k]) / h
    rise = m[k] * h * u * (1 - u) ** 2 + m[k + 1] * h * u * u * (u - 1)
    return y[k] * (1 + 2 * u) * (1 - u) ** 2 + y[k + 1] * u * u * (3 - 2 * u) + rise


def table_at(curve, share):
    """A curve by its table: straight between 1025 even places."""
    even = np.linspace(0, 1, TABLE)
    return np.interp(np.clip(share, 0, 1), even, curve_at(curve, even))


def lane(curve, share):
    """What is read at the end (size, opacity, erosion, frame): smooth curves of three points and more by their table."""
    return table_at(curve, share) if curve["smooth"] and len(curve["points"]) > 2 else curve_at(curve, share)


def linear(colour):
    """Display values to linear light (IEC 61966-2-1)."""
    c = np.asarray(colour, float)
    return np.where(c <= 0.04045, c / 12.92, ((c + 0.055) / 1.055) ** 2.4)


def ramp_at(ramp, share):
    """A ramp's colour, mixed in linear light."""
    x, rgb = [s["at"] for s in ramp["stops"]], np.array([linear(s["colour"]) for s in ramp["stops"]])
    return np.stack([np.interp(share, x, rgb[:, k]) for k in range(3)], axis=-1)


# 3. Births
def births(part, seed, stream, until, rate):
    """Births up to a time of the clock, in order: (time, life, stream, index), and which of them ``most`` lets through."""
    e, (low, high) = part["emission"], part["birth"]["life"]
    runs = {"once": 1, "times": e["times"], "loop": math.inf}[e["runs"]]
    ahead = -e["delay"]
    if e["warm"] and e["runs"] == "loop":
        ahead = math.ceil(high / e["duration"]) * e["duration"]
    until = until + ahead  # from here on on the clock of the runs
    rows = [(t, stream, i) for i, t in enumerate(steady(e, e["rate"] * rate, min(until, runs * e["duration"])))]
    for k, burst in enumerate(e["bursts"]):
        begun = min(runs, math.floor(until / e["duration"]) + 1) if until > 0 else 0
        at = [burst["time"] + n * burst["every"] for n in range(burst["repeats"])]
        starts = [r * e["duration"] + t for r in range(int(begun)) for t in at if t < e["duration"]]
        least, most = (round(v * rate) for v in burst["count"])  # halves to even
        for i, t in enumerate(starts):
            if t < until:
                count = least + math.floor(chances(seed, stream + 128 + k, i, 1)[0] * (most - least + 1))
                rows += [(t, stream + 1 + k, (i << 20) + n) for n in range(count)]
    rows = [(t - ahead, low + (high - low) * chances(seed, s, i, 1)[0], s, i) for t, s, i in rows]
    rows.sort(key=lambda r: r[0])  # stable: the steady rate before bursts, these in their order
    dies, kept = [], []
    for r in rows:
        dies = [d for d in dies if d > r[0]]
        if len(dies) < e["most"]:
            dies.append(r[0] + r[1])
            kept.append(r)
    return kept


def steady(e, rate, until):
    """Times of the births that the rate gives, on the clock of the runs: where its integral is a whole number."""
    if rate <= 0 or until <= 0:
        return []
    if e["rate_curve"] is None:
        return [j / rate for j in range(math.ceil(rate * until - 1e-9))]
    grid, length = np.linspace(0, 1, 4097), e["duration"]
    value = np.maximum(curve_at(e["rate_curve"], grid), 0)
    total = np.concatenate([[0.0], np.cumsum((value[1:] + value[:-1]) / 2 * np.diff(grid))]) * rate * length
    whole = total[-1]
    if whole <= 1e-12:
        return []
    run = math.floor(until / length)
    count = math.ceil(run * whole + np.interp(until / length - run, grid, total) - 1e-9)
    rising = total + np.arange(4097) * 1e-13  # where nothing is born, the last place counts
    runs = [math.floor(j / whole + 1e-12) for j in range(count)]
    return [(r + np.interp(max(j - r * whole, 0.0), rising, grid)) * length for j, r in enumerate(runs)]


# 4. Places and directions at birth
def axes_of(effect):
    """Columns: the effect's x, y (its axis) and z in the world."""
    yaw, pitch, roll = (math.radians(effect[k]) for k in ("yaw", "pitch", "roll"))
    axis = np.array([math.sin(yaw) * math.cos(pitch), math.sin(pitch), math.cos(yaw) * math.cos(pitch)])
    x = np.cross([0, 1, 0] if abs(axis[1]) < 0.95 else [0, 0, -1], axis)
    x /= np.linalg.norm(x)
    z, c, s = np.cross(x, axis), math.cos(roll), math.sin(roll)
    return np.stack([x * c + z * s, axis, z * c - x * s], axis=1)


def around(y, b):
    """A unit direction of height ``y``, turned by a share of a circle."""
    return np.array([math.cos(2 * math.pi * b), y, math.sin(2 * math.pi * b)]) * [r := math.sqrt(max(1 - y * y, 0)), 1, r]


def origin(e, c, mesh):
    """Where a particle is born and which way it sets out, in the effect's own axes."""
    a, b, third, d = (c[k] for k in ("place_a", "place_b", "place_c", "place_d"))
    size, form, up, place = e["size"], e["form"], np.array([0.0, 1.0, 0.0]), np.zeros(3)
    out = up
    if form in ("sphere", "half"):
        out = around(1 - 2 * a if form == "sphere" else 1 - a, b)
        place = out * size[0] * (1 if e["skin"] else third ** (1 / 3))
    elif form in ("disc", "ring"):
        flat = np.array([math.cos(2 * math.pi * a), 0, math.sin(2 * math.pi * a)])
        if form == "disc":
            r = size[0] if e["skin"] else size[0] * math.sqrt(b)
        else:
            inner, outer = max(size[0] - size[1] / 2, 0), size[0] + size[1] / 2
            r, out = size[0] if e["skin"] else math.sqrt(inner**2 + (outer**2 - inner**2) * b), flat
        place = flat * r
    elif form == "box":
        place = (np.array([a, b, third]) - 0.5) * size
        if e["skin"]:
            x, y, z = size
            areas = np.cumsum([y * z, y * z, x * z, x * z, x * y, x * y])
            face = min(int(np.searchsorted(areas, d * max(areas[-1], 1e-12), "right")), 5)
            side = 1.0 if face % 2 else -1.0
            place[face // 2], out = side * size[face // 2] / 2, np.eye(3)[face // 2] * side
        else:
            length = np.linalg.norm(place)
            out = place / length if length > 1e-9 else up
    elif form == "line":
        place = np.array([(a - 0.5) * size[0], 0, 0])
    elif form == "mesh" and mesh is not None:
        cross = np.cross(mesh[:, 1] - mesh[:, 0], mesh[:, 2] - mesh[:, 0])
        area = np.cumsum(np.linalg.norm(cross, axis=1))
        t = min(int(np.searchsorted(area, a * area[-1], "right")), len(area) - 1)
        r = math.sqrt(b)
        place = np.array([1 - r, r * (1 - third), r * third]) @ mesh[t]
        out = cross[t] / max(np.linalg.norm(cross[t]), 1e-12)
    along = np.array(e["along"], float)
    along = along if along.any() else up
    if e["way"] == "round" or (e["way"] == "out" and form == "point"):
        out = around(1 - 2 * c["towards"], c["around"])
    elif e["way"] == "given":
        out = along / np.linalg.norm(along)
    elif e["way"] == "cone":
        n = along / np.linalg.norm(along)
        x = np.cross(n, [0, 0, 1] if abs(n[2]) < 0.95 else [1, 0, 0])
        x /= np.linalg.norm(x)
        local = around(1 - (1 - math.cos(math.radians(e["cone"]))) * c["towards"], c["around"])
        out = local @ np.stack([x, n, np.cross(x, n)])
    return place, out


def along(travel, place, way, t):
    """Where an effect that moves has a birth: place, direction, and the velocity that is taken along; its own axes."""
    if travel["path"] == "none" and travel["turning"] == 0:
        return place, way, np.zeros(3)
    up, rate, turn = np.array([0.0, 1.0, 0.0]), 2 * math.pi / travel["period"], math.radians(travel["turning"])
    reach = np.array([travel["reach_x"], travel["reach_y"], travel["reach_z"]]) * (travel["path"] != "none")
    (s, c), place, way = (math.sin(rate * t), math.cos(rate * t)), turned(place, up, turn * t), turned(way, up, turn * t)
    to, quick = ((s, s, s), (c, c, c)) if travel["path"] == "swing" else ((c, s, s), (-s, c, c))
    return place + reach * to, way, travel["carried"] * (reach * quick * rate + turn * np.cross(up, place))


# 5. Steps
def lattice(x, y, z, seed):
    """A value from -1 to 1 at a point of the lattice, by 32-bit hashes."""
    m = 0xFFFFFFFF
    h = ((x * 0x9E3779B1) & m) ^ ((y * 0x85EBCA77) & m) ^ ((z * 0xC2B2AE3D) & m) ^ seed
    h = ((h ^ (h >> 15)) * 0x2C1B3C6D) & m
    h = ((h ^ (h >> 12)) * 0x297A2D39) & m
    return ((h ^ (h >> 15)) & 0xFFFF) / 32767.5 - 1


def noise(x, y, z, seed):
    """Values at the lattice's points, eased between by 6 t^5 - 15 t^4 + 10 t^3."""
    (i, j, k), total = (math.floor(t) for t in (x, y, z)), 0.0
    ease = [t * t * t * (t * (t * 6 - 15) + 10) for t in (x - i, y - j, z - k)]
    for n in range(8):
        bits = (n & 1, (n >> 1) & 1, n >> 2)
        w = math.prod(e if b else 1 - e for e, b in zip(ease, bits, strict=True))
        total += w * lattice(i + bits[0], j + bits[1], k + bits[2], seed)
    return total


def drifted(life, place, time, seed):
    """The velocity that drift adds at a place and time."""
    (x, y, z), m = place * life["drift_scale"], time * life["drift_rate"]
    found = noise(x + m, y, z, seed), noise(x, y + m, z, seed + 7919), noise(x, y, z + m, seed + 104729)
    return np.array(found) * life["drift"]


def limited(v, most):
    """A velocity no longer than the limit; 0: as it comes."""
    return v * (most / np.linalg.norm(v)) if 0 < most < np.linalg.norm(v) else v


def turned(v, axis, angle):
    """A vector turned about a unit axis (Rodrigues 1840)."""
    return v * (c := math.cos(angle)) + np.cross(axis, v) * math.sin(angle) + axis * (axis @ v) * (1 - c)


def meets(solids, a, b):
    """Where the way from a to b first meets a triangle: its share and the normal towards a; (2, None): nowhere."""
    d, e1, e2 = b - a, solids[:, 1] - solids[:, 0], solids[:, 2] - solids[:, 0]
    p = np.cross(d, e2)
    det = (e1 * p).sum(axis=1)
    safe = np.where(np.abs(det) < 1e-15, 1, det)
    s = a - solids[:, 0]
    u = (s * p).sum(axis=1) / safe
    r = np.cross(s, e1)
    v, w = (r @ d) / safe, (e2 * r).sum(axis=1) / safe
    hit = (np.abs(det) >= 1e-15) & (u >= -1e-9) & (u <= 1 + 1e-9) & (v >= -1e-9) & (u + v <= 1 + 1e-9) & (w >= 0) & (w <= 1)
    if not hit.any():
        return 2.0, None
    n = np.cross(e1[k := np.flatnonzero(hit)[np.argmin(w[hit])]], e2[k])
    n = n / math.sqrt(max(n @ n, 1e-30))
    return float(w[k]), -n if n @ d > 0 else n


def advance(part, effect, wind, solids, state, born, lasts, spin, until):
    """Bring one particle from its birth to a time; None where it dies on something solid."""
    life, own = part["life"], part["facing"]["space"] == "local"
    turn = axes_of(effect) if own else np.eye(3)
    axis, at = turn[:, 1], np.array(effect["at"], float)
    gravity, push = turn @ [0, -EARTH * life["gravity"], 0], turn @ np.array(life["acceleration"], float)
    lanes = [life[k] for k in ("speed_x", "speed_y", "speed_z")]
    place, speed, angle, t = *state, born
    while t < until - 1e-9:
        end = min((math.floor(t / TICK + 1e-6) + 1) * TICK, until)
        dt, share = end - t, ((t + end) / 2 - born) / lasts
        pull = gravity + push * (1 if life["push"] is None else float(table_at(life["push"], share)))
        k = life["drag"] + life["wind"]
        if k > 0:
            pull = pull + life["wind"] * np.array(wind)
            h = -math.expm1(-k * dt) / k
            # (dt - h) / k cancels where drag is small: there its series.
            x = k * dt
            g = (dt - h) / k if x >= 1e-2 else dt * dt / 2 * sum((-x) ** n * 2 / math.factorial(n + 2) for n in range(7))
            step, speed = speed * h + pull * g, speed * math.exp(-k * dt) + pull * h
        else:
            step, speed = speed * dt + pull * dt * dt / 2, speed + pull * dt
        speed = limited(speed, life["limit"])
        if any(lanes):
            step = step * [1 if c is None else float(table_at(c, share)) for c in lanes]
        if life["drift"] > 0:
            step = step + drifted(life, place, (t + end) / 2, effect["seed"]) * dt
        step = limited(step, life["limit"] * dt)
        if life["swirl"] != 0:
            w = math.radians(life["swirl"]) * dt
            step = turned(place + step - at, axis, w) + at - place
            speed = turned(speed, axis, w)
        if life["solids"] != "through":
            met, n = meets(solids, place, place + step)
            if met <= 1 and life["solids"] == "die":
                return None
            if met <= 1:
                step = step * met + n * 1e-4
                d = speed @ n
                if d < 0:
                    speed = (speed - d * n) * (1 - life["rub"]) - d * n * life["bounce"]
        place = place + step
        angle += spin * (1 if life["spin"] is None else float(table_at(life["spin"], share))) * dt
        t = end
    return place, speed, angle


# 6. What is seen
def particles(file, part, time, meshes=None, solids=()):
    """The particles of a part at a time, in the order of their births: a list of dictionaries."""
    effect, life, birth = file["effect"], part["life"], part["birth"]
    solids = np.reshape(solids, (-1, 3, 3))
    dials, axes, at, mesh = effect["dials"], axes_of(effect), effect["at"], (meshes or {}).get(part["emission"]["mesh"])

    def between(pair, chance):
        return pair[0] + (pair[1] - pair[0]) * chance

    out, known = [], int(file["streams"][part["id"]])
    for born, lasts, stream, index in births(part, effect["seed"], known, time + 1, dials["rate"]):
        if not born <= time < born + lasts:
            continue
        c = dict(zip(NAMES, chances(effect["seed"], stream, index), strict=False))
        place, way, taken = along(effect["travel"], *origin(part["emission"], c, mesh), born)
        place, way = axes @ (place * effect["scale"]) + at, axes @ (way * between(birth["speed"], c["speed"]) + taken)
        state = place, way * effect["scale"], between(birth["turn"], c["turn"])
        spin = between(birth["spin"], c["spin"])
        state = advance(part, effect, file["wind"], solids, state, born, lasts, spin, time)
        if state is None:
            continue
        share = min(max((time - born) / lasts, 0), 1)
        wide = between(birth["width"], c["width"])
        high = wide if birth["height"] is None else between(birth["height"], c["height"])
        size, opacity, worn, shown = (
            life[k] and float(lane(life[k], share)) for k in ("size", "opacity", "erosion", "frame")
        )
        tint = between([linear(t) for t in birth["tint"]], c["tint"]) * linear(dials["tint"])
        frames = {"life": share, "random": c["frame"] * (1 - 1e-12), "first": 0.0, "play": -1 - (time - born)}
        frame = frames[birth["frame"]]
        covers = between(birth["opacity"], c["opacity"]) * (1 if opacity is None else max(opacity, 0))
        scale = (1 if size is None else max(size, 0)) * effect["scale"] * dials["size"]
        tint = tint * (1 if life["tint"] is None else ramp_at(life["tint"], share))
        row = {"place": state[0], "turn": state[2], "size": np.array([wide, high]) * scale, "tint": tint}
        row |= {"opacity": min(max(covers, 0), 1), "erosion": min(max((worn or 0) + dials["worn"], 0), 1)}
        row |= {"frame": frame if shown is None else min(max(shown, 0), 1), "look": c["look"]}
        out.append(row)
    return out


# 7. Files
def triangles(path):
    """Corners of every triangle of a delivered .glb, (n, 3, 3)."""
    data = Path(path).read_bytes()
    length = struct.unpack_from("<I", data, 12)[0]
    tree, blob = json.loads(data[20 : 20 + length]), data[28 + length :]

    def rows(which, wide):
        a = tree["accessors"][which]
        v = tree["bufferViews"][a["bufferView"]]
        kind = {5123: "<u2", 5125: "<u4", 5126: "<f4"}[a["componentType"]]
        start = v.get("byteOffset", 0) + a.get("byteOffset", 0)
        return np.frombuffer(blob, kind, a["count"] * wide, start).reshape(-1, 3)

    parts = [p for m in tree["meshes"] for p in m["primitives"]]
    return np.concatenate([rows(p["attributes"]["POSITION"], 3).astype(float)[rows(p["indices"], 1)] for p in parts])


def read(path):
    """A motion file, with the meshes and the solids that lie beside it."""
    file, beside = json.loads(Path(path).read_text(encoding="utf-8")), Path(path).parent
    meshes = {k: triangles(beside / v) for k, v in file["meshes"].items()}
    return file, meshes, triangles(beside / file["solids"]) if file["solids"] else ()

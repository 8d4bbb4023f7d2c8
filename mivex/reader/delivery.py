# SPDX-License-Identifier: 0BSD
# Anybody may copy, change and use this file for anything, without naming where it came from. It needs NumPy only.
"""Reads a delivery: pictures, geometry, blend sheets, the stage. ``docs/blend-spec.md`` says the same in words."""

import json
import struct
import zlib
from pathlib import Path

import numpy as np

NUMBER = {"red": 0, "green": 1, "blue": 2, "alpha": 3}
GROUPS = ("Backdrop", "Solid", "Cutout", "Decal", "Blended", "Front")
BLENDS = ("Solid", "Cutout", "Dithered", "Translucent", "Premultiplied", "Additive", "Multiply")


# 1. Pictures
def linear(v):
    """Display values to linear light (IEC 61966-2-1)."""
    return np.where(v <= 0.04045, v / 12.92, ((np.maximum(v, 0) + 0.055) / 1.055) ** 2.4)


def display(v):
    """Linear light to display values."""
    return np.where(v <= 0.0031308, 12.92 * v, 1.055 * np.maximum(v, 0) ** (1 / 2.4) - 0.055)


def four(codes):
    """Channels as red, green, blue, alpha: one is all three colours, alpha is 1 where there is none."""
    n = codes.shape[2]
    colour = codes[..., :3] if n >= 3 else np.repeat(codes[..., :1], 3, axis=2)
    return np.dstack([colour, codes[..., n - 1] if n in (2, 4) else np.ones(codes.shape[:2])])


def png(data):
    """A PNG without interlacing, 8 or 16 bits, as numbers from 0 to 1 (height, width, 4)."""
    at, packed, head = 8, b"", b""
    while at < len(data):
        size, kind = struct.unpack_from(">I4s", data, at)
        part = data[at + 8 : at + 8 + size]
        head, packed, at = (part if kind == b"IHDR" else head), packed + part * (kind == b"IDAT"), at + 12 + size
    w, h, bits, kind = struct.unpack_from(">IIBB", head)
    lanes, wide = {0: 1, 2: 3, 4: 2, 6: 4}[kind], bits // 8
    step = lanes * wide
    raw = np.frombuffer(zlib.decompress(packed), np.uint8).reshape(h, 1 + w * step)
    # A texel follows from those left, above, and above left: whole diagonals can be worked out at once.
    out = np.zeros((h + 1, w + 1, step), np.int32)
    texels = raw[:, 1:].reshape(h, w, step).astype(np.int32)
    for k in range(h + w - 1):
        y = np.arange(max(0, k - w + 1), min(h, k + 1))
        x = k - y
        a, b, c = out[y + 1, x], out[y, x + 1], out[y, x]
        how = raw[y, 0][:, None]
        p = a + b - c
        pa, pb, pc = abs(p - a), abs(p - b), abs(p - c)
        paeth = np.where((pa <= pb) & (pa <= pc), a, np.where(pb <= pc, b, c))
        near = np.select([how == 1, how == 2, how == 3, how == 4], [a, b, (a + b) // 2, paeth], 0)
        out[y + 1, x + 1] = (texels[y, x] + near) & 255
    codes = out[1:, 1:].reshape(h, w, lanes, wide)
    whole = codes[..., 0] if wide == 1 else codes[..., 0] * 256.0 + codes[..., 1]
    return four(whole / (2.0**bits - 1))


def tga(data):
    """A TGA of 24 or 32 bits, plain or run-length coded."""
    ident, kind = data[0], data[2]
    w, h, bits, flags = struct.unpack_from("<HHBB", data, 12)
    n, body = bits // 8, data[18 + ident :]
    if kind == 10:
        rows, at = [], 0
        while sum(map(len, rows)) < w * h * n:
            count = (body[at] & 127) + 1
            rows.append(body[at + 1 : at + 1 + n] * count if body[at] & 128 else body[at + 1 : at + 1 + n * count])
            at += 1 + (n if body[at] & 128 else n * count)
        body = b"".join(rows)
    codes = np.frombuffer(body, np.uint8, w * h * n).reshape(h, w, n) / 255
    codes = codes if flags & 32 else codes[::-1]
    return four(codes[..., [2, 1, 0, 3][:n]])


def ktx2(data):
    """Every mip level of a KTX 2 file without compression, the largest first."""
    form, _, w, h = struct.unpack_from("<IIII", data, 12)
    levels = max(1, struct.unpack_from("<I", data, 40)[0])
    lanes, kind = {9: (1, "u1"), 15: (1, "u1"), 37: (4, "u1"), 43: (4, "u1"), 70: (1, "<u2"), 91: (4, "<u2")}[form]
    rows = []
    for k in range(levels):
        offset = struct.unpack_from("<Q", data, 80 + 24 * k)[0]
        size = max(h >> k, 1), max(w >> k, 1), lanes
        codes = np.frombuffer(data, kind, size[0] * size[1] * lanes, offset).reshape(size)
        rows.append(four(codes / (255.0 if kind == "u1" else 65535.0)))
    return rows


def tif(data):
    """Every page of a TIFF as Mivex writes it (little-endian, one strip, deflated or plain): the mip levels."""
    at, rows = struct.unpack_from("<I", data, 4)[0], []
    while at:
        tags = {}
        count = struct.unpack_from("<H", data, at)[0]
        for k in range(count):
            tag, kind, n = struct.unpack_from("<HHI", data, at + 2 + 12 * k)
            here = at + 10 + 12 * k
            start = here if n * {3: 2, 4: 4}.get(kind, 8) <= 4 else struct.unpack_from("<I", data, here)[0]
            tags[tag] = struct.unpack_from({3: "<H", 4: "<I"}.get(kind, "<B"), data, start)[0]
        w, h, lanes, bits = tags[256], tags[257], tags.get(277, 1), tags[258]
        body = data[tags[273] : tags[273] + tags[279]]
        body = zlib.decompress(body) if tags.get(259, 1) in (8, 32946) else body
        codes = np.frombuffer(body, "u1" if bits == 8 else "<u2", w * h * lanes).reshape(h, w, lanes)
        rows.append(four(codes / (2.0**bits - 1)))
        at = struct.unpack_from("<I", data, at + 2 + 12 * count)[0]
    return rows


READS = {".png": lambda d: [png(d)], ".tga": lambda d: [tga(d)], ".ktx2": ktx2, ".tif": tif, ".tiff": tif}


def halved(level):
    """The next smaller level: exact areas, so that odd sides lose nothing."""
    for axis in (0, 1):
        n = level.shape[axis]
        m = max(n // 2, 1)
        edges = np.arange(m + 1) * (n / m)
        total = np.concatenate([np.zeros_like(level.take([0], axis)), np.cumsum(level, axis=axis)], axis=axis)
        low = np.minimum(np.floor(edges).astype(int), n - 1)
        share = np.expand_dims(edges - low, tuple(k for k in range(3) if k != axis))
        summed = total.take(low, axis) + share * level.take(low, axis)
        level = np.diff(summed, axis=axis) * (m / n)
    return level


def chain_of(levels, colour):
    """Mip levels as they are sampled: colour in linear light; levels that the file does not hold are averaged."""
    rows = [np.dstack([linear(v[..., :3]), v[..., 3]]) if colour else v for v in levels]
    while max(rows[-1].shape[:2]) > 1 and len(levels) == 1:
        rows.append(halved(rows[-1]))
    return rows


def picture(path, colour):
    """The mip levels of a picture."""
    ending = Path(path).suffix.lower()
    if ending not in READS:
        raise ValueError(f"{path}: this reader reads {', '.join(READS)} only")
    return chain_of(READS[ending](Path(path).read_bytes()), colour)


# 2. Geometry
def glb(path):
    """A binary glTF file: its tree, and a function that gives the numbers of an accessor."""
    data = Path(path).read_bytes()
    size = struct.unpack_from("<I", data, 12)[0]
    tree, blob = json.loads(data[20 : 20 + size]), data[28 + size :]

    def rows(number):
        a = tree["accessors"][number]
        v = tree["bufferViews"][a["bufferView"]]
        wide = {"SCALAR": 1, "VEC2": 2, "VEC3": 3, "VEC4": 4}[a["type"]]
        kind = {5121: "u1", 5123: "<u2", 5125: "<u4", 5126: "<f4"}[a["componentType"]]
        start = v.get("byteOffset", 0) + a.get("byteOffset", 0)
        return np.frombuffer(blob, kind, a["count"] * wide, start).reshape(-1, wide)

    def embedded(number):
        v = tree["bufferViews"][tree["images"][tree["textures"][number]["source"]]["bufferView"]]
        return blob[v.get("byteOffset", 0) : v.get("byteOffset", 0) + v["byteLength"]]

    return tree, rows, embedded


def mesh_of(tree, rows, node, uv_set=0):
    """Corners and triangles of a node: places, unit normals, UVs, tint, index. What was lifted is laid back."""
    part = tree["meshes"][node["mesh"]]["primitives"][0]
    names = part["attributes"]
    place, normal = (rows(names[k]).astype(float) for k in ("POSITION", "NORMAL"))
    off = node.get("extras", {}).get("mivex", {}).get("lifted_metres", 0.0)
    which = f"TEXCOORD_{uv_set}"
    return {
        "place": place - normal * off,
        "normal": normal,
        "uv": rows(names[which if which in names else "TEXCOORD_0"]).astype(float),
        "tint_by_corner": rows(names["COLOR_0"]).astype(float) if "COLOR_0" in names else np.ones((1, 4)),
        "index": rows(part["indices"]).reshape(-1, 3).astype(int),
    }


# 3. The stage
USUAL = {
    "group": 1, "nudge": -100, "blend": "Solid", "lit": True, "test": True, "write": True, "both": True, "first": False,
    "back_first": False, "bias": 0.0, "slope": 0.0, "cutoff": 0.5, "opacity": 1.0, "tint": np.ones(3), "distance": "place",
    "effects": {}, "uv_rows": np.array([[1.0, 0, 0], [0, 1, 0]]), "glow": np.zeros(3), "glow_chain": None, "bumps": None,
    "strength": 1.0, "green": 1.0, "part": 0, "stands": np.zeros(3), "turns": None, "at": np.zeros(3), "encoded": True,
}  # fmt: skip
"""What a draw is, where nothing else is said; of surroundings, which come before everything of their group."""


def number(value, chain=None, lane=0, invert=False):
    """A value of a surface: a number, or a channel of a picture."""
    return {"value": value, "chain": chain, "lane": lane, "invert": invert}


def surroundings(folder, stage):
    """What stands round the overlays, as draws: solid, lit, before all overlays of their group."""
    if not stage["geometry"]:
        return []
    tree, rows, embedded = glb(Path(folder) / stage["geometry"])
    made, around = [], stage["surroundings"]
    t = np.radians(around["turn"])
    turn = np.array([[np.cos(t), 0, -np.sin(t)], [0, 1, 0], [np.sin(t), 0, np.cos(t)]])  # rows: a place times this
    for node in tree["nodes"]:
        part = tree["meshes"][node["mesh"]]["primitives"][0]
        material = tree["materials"][part["material"]]
        pbr = material["pbrMetallicRoughness"]
        base, orm, bumps = pbr.get("baseColorTexture"), pbr.get("metallicRoughnessTexture"), material.get("normalTexture")
        colour = [np.array([[pbr.get("baseColorFactor", [1.0] * 4)]])]
        if base is not None:
            colour = chain_of([png(embedded(base["index"]))], True)
        packed = chain_of([png(embedded(orm["index"]))], False) if orm else None
        mesh = mesh_of(tree, rows, node)
        if around["path"]:  # an artist's own lie in the file as they came
            mesh |= {"place": mesh["place"] @ turn * around["scale"], "normal": mesh["normal"] @ turn}
        sampler = tree["samplers"][tree["textures"][base["index"]]["sampler"]] if base else {}
        made.append(USUAL | mesh | {
            "name": node["name"], "overlay": "", "colour": colour, "wrap": sampler.get("wrapS") == 10497,
            "both": material.get("doubleSided", False), "opacity_from": None,
            "rough": number(pbr.get("roughnessFactor", 1.0), packed, 1),
            "metal": number(pbr.get("metallicFactor", 1.0), packed, 2),
            "occlusion": number(1.0), "bumps": chain_of([png(embedded(bumps["index"]))], False) if bumps else None,
        })  # fmt: skip
    return made


# 4. Overlays
def value_of(folder, row, chains):
    """A value as the sheet tells it."""
    if "file" not in row:
        return number(row["value"])
    return number(1.0, chain_for(folder, row["file"], "data", chains), NUMBER[row["channel"]], row.get("invert", False))


def chain_for(folder, name, holds, chains):
    """Mip levels of a file, read once."""
    if (name, holds) not in chains:
        chains[name, holds] = picture(Path(folder) / name, holds == "colour")
    return chains[name, holds]


def overlay(folder, sheet, shown=True):
    """The draws of an overlay: one for each placement that the geometry holds."""
    if not sheet.get("geometry") or not shown:
        return []
    s, t, d, files, chains = sheet["surface"], sheet["texture"], sheet["depth"], sheet["files"], {}
    tree, rows, _ = glb(Path(folder) / sheet["geometry"])
    own = (
        s["opacity"].get("file") == t["file"] and s["opacity"].get("channel") == "alpha" and not s["opacity"].get("invert")
    )
    uv = np.array(s["uv_rows"], float)
    if "sheet" in sheet:  # its first frame
        f = sheet["sheet"]["frames"][0]
        size = np.array([f["width"] / t["width"], f["height"] / t["height"]])
        uv = uv * size[:, None] + np.array([[0, 0, f["x"] / t["width"]], [0, 0, f["y"] / t["height"]]])
    holds = next(f["holds"] for f in files if f["file"] == t["file"])
    glow, normal = s["glow"], s["normal"]
    common = USUAL | {
        "overlay": sheet["name"], "group": GROUPS.index(sheet["draw_group"]), "nudge": sheet["order_nudge"],
        "blend": sheet["blend"]["name"], "lit": sheet["lit"] and sheet["blend"]["name"] not in ("Additive", "Multiply"),
        "test": d["test"], "write": d["write"], "both": sheet["faces"] == "both", "first": d["first"] and d["test"],
        "back_first": sheet["back_faces_first"] and sheet["faces"] == "both",
        "bias": d["bias_metres"], "slope": d["slope_bias"],
        "cutoff": 0.5 if sheet["cutoff"] is None else sheet["cutoff"], "opacity": sheet["opacity"],
        "tint": np.array(sheet["tint_linear"], float), "distance": sheet["distance"], "effects": sheet["effects"],
        "uv_rows": uv, "wrap": t["address"] == "repeat", "colour": chain_for(folder, t["file"], holds, chains),
        "encoded": holds == "colour", "opacity_from": None if own else value_of(folder, s["opacity"], chains),
        "rough": value_of(folder, s["roughness"], chains), "metal": value_of(folder, s["metal"], chains),
        "occlusion": value_of(folder, s["occlusion"], chains),
        "bumps": chain_for(folder, normal["file"], "data", chains) if normal else None,
        "strength": normal["strength"] if normal else 1.0, "green": -1.0 if normal and normal["green"] == "down" else 1.0,
        "glow": np.array(glow["colour_linear"]) * glow["strength"],
        "glow_chain": chain_for(folder, glow["file"], "colour", chains) if "file" in glow else None,
    }  # fmt: skip
    made = []
    for node in tree["nodes"]:
        part = node["extras"]["mivex"]["place"]
        place = sheet["places"][part - 1]
        mesh = mesh_of(tree, rows, node, s["uv_set"])
        turns = node["extras"]["mivex"].get("turns_to")
        stands = middle(place, mesh)
        if turns:
            mesh["place"] = mesh["place"] - np.array(place["at"])
            mesh["at"], stands = np.array(place["at"]), stands - np.array(place["at"])
        made.append(common | mesh | {"name": node["name"], "part": part, "stands": stands, "turns": turns})
    if sheet["distance"] == "object" and made:
        mean = np.mean([m["stands"] + m["at"] for m in made], axis=0) - made[0]["at"]
        made = [m | {"stands": mean} for m in made]
    return made


def middle(place, mesh):
    """The point by which a placement is ordered."""
    mount, points = place["mount"], mesh["place"]
    if mount in ("surface", "projected", "mesh"):
        return np.array(place["at"], float)
    if mount == "hull":
        return points[np.argmin(np.abs(mesh["uv"] - 0.5).sum(axis=1))]
    if mount == "shape":
        return (points.min(axis=0) + points.max(axis=0)) / 2
    return points.mean(axis=0)


def read(folder):
    """A delivery: its stage, its environment's maps, and everything to draw in the order of its list."""
    folder = Path(folder)
    listing = json.loads((folder / "delivery.json").read_text(encoding="utf-8"))
    stage = listing["stage"]
    draws = surroundings(folder, stage)
    for row in listing["overlays"]:
        draws += overlay(folder, json.loads((folder / row["sheet"]).read_text(encoding="utf-8")), row["shown"])
    maps = stage.get("light_maps")
    if maps is None:
        raise ValueError(f"{folder} holds no geometry: deliver it by a recipe that writes some")
    sky, table = (np.load(folder / maps[k]).astype(float) for k in ("file", "table"))
    return {"stage": stage, "draws": draws, "sky": sky, "table": table, "levels": maps["levels"], "even": maps["even"]}

"""Files that no honest program writes, made by script: each maker fills a folder and says which command meets it."""

import base64
import json
import os
import struct
import sys
from pathlib import Path

import numpy as np
import tifffile
from PIL import Image

QUAD = "v -1 0 0\nv 1 0 0\nv 1 1 0\nv -1 1 0\n"
UVS = "vt 0 0\nvt 1 0\nvt 1 1\nvt 0 1\n"
FACES = "f 1/1 2/2 3/3\nf 1/1 3/3 4/4\n"


def picture(path: Path, side: int = 24, colour=(180, 90, 40)) -> None:
    """A disc on clear ground."""
    y, x = np.mgrid[:side, :side] - side / 2 + 0.5
    a = np.zeros((side, side, 4), np.uint8)
    a[..., :3] = colour
    a[..., 3] = np.clip((side * 0.4 - np.hypot(x, y)) * 90, 0, 255)
    Image.fromarray(a).save(path)


def overlay(k: int, **values) -> dict:
    """An overlay of a project file."""
    place = {"id": f"p{k}", "mount": "panel", "at": [0, 1.1, 0.9], "width": 0.4, "height": 0.4}
    return {
        "id": f"k{k:07d}",
        "name": f"Thing {k}",
        "kind": "decal",
        "source": {"path": "a.png"},
        "material": {"blend": "Translucent"},
        "places": [place],
        **values,
    }


def project(d: Path, *overlays: dict, **values) -> Path:
    """Write a project with these overlays, and its picture."""
    picture(d / "a.png")
    (d / "p.mivex").write_text(json.dumps({"mivex": 1, "overlays": list(overlays or (overlay(1),)), **values}))
    return d / "p.mivex"


def draw(d: Path, p: Path) -> list[str]:
    """The command that draws a project."""
    return ["render", str(p), str(d / "o.png"), "--size", "48x32"]


def on_mesh(d: Path, name: str) -> list[str]:
    """A project whose surroundings are a mesh."""
    return draw(d, project(d, around={"path": name}))


def obj(text: str):
    """A maker: an OBJ."""

    def make(d: Path) -> list[str]:
        (d / "m.obj").write_text(text)
        return on_mesh(d, "m.obj")

    return make


def obj_beside(kind: str, target: str):
    """A maker: an OBJ that names a pipe or a device as its material or its picture."""

    def make(d: Path) -> list[str]:
        os.mkfifo(d / "pipe")
        (d / "x.mtl").write_text(f"newmtl a\nmap_Kd {target}\n")
        (d / "m.obj").write_text(f"mtllib {'x.mtl' if kind == 'map' else target}\n{QUAD}{UVS}usemtl a\n{FACES}")
        return on_mesh(d, "m.obj")

    return make


def gltf(change):
    """A maker: a small valid glTF, changed."""

    def make(d: Path) -> list[str]:
        os.mkfifo(d / "pipe")
        corners = np.array([(-1, 0, 0), (1, 0, 0), (1, 1, 0)], "<f4").tobytes() + np.array([0, 1, 2], "<u2").tobytes()
        tree = {
            "asset": {"version": "2.0"},
            "scene": 0,
            "scenes": [{"nodes": [0]}],
            "nodes": [{"mesh": 0}],
            "meshes": [{"primitives": [{"attributes": {"POSITION": 0}, "indices": 1}]}],
            "buffers": [
                {"byteLength": 42, "uri": "data:application/octet-stream;base64," + base64.b64encode(corners).decode()}
            ],
            "bufferViews": [{"buffer": 0, "byteLength": 36}, {"buffer": 0, "byteOffset": 36, "byteLength": 6}],
            "accessors": [
                {"bufferView": 0, "componentType": 5126, "count": 3, "type": "VEC3", "min": [-1, 0, 0], "max": [1, 1, 0]},
                {"bufferView": 1, "componentType": 5123, "count": 3, "type": "SCALAR"},
            ],
        }
        change(tree)
        (d / "m.gltf").write_text(json.dumps(tree))
        return on_mesh(d, "m.gltf")

    return make


def _chain(t):
    t["nodes"] = [{"children": [i + 1]} for i in range(3000)] + [{"mesh": 0}]


def _circle(t):
    t["nodes"] = [{"children": [1]}, {"children": [0], "mesh": 0}]


def _crowd(t):
    t["nodes"] = [{"mesh": 0}] * 30_000
    t["scenes"] = [{"nodes": list(range(30_000))}]


def _uri(where):
    return lambda t: t["buffers"][0].update(uri=where)


def _nothing(count):
    return lambda t: t["accessors"].__setitem__(0, {"componentType": 5126, "count": count, "type": "VEC3"})


def delivered(change):
    """A maker: a delivery whose first geometry has an array replaced; ``change(tree, blob) -> bytes`` of the blob."""

    def make(d: Path) -> list[str]:
        from mivex.core.deliver.project import deliver_project
        from mivex.core.project.evaluate import Evaluator
        from mivex.core.project.file import read_project

        doc = read_project(project(d, overlay(1, delivery={"recipe": "scene"})))
        deliver_project(doc, Evaluator(d), d / "out")
        path = next((d / "out").glob("*.glb"))
        raw = path.read_bytes()
        n = struct.unpack_from("<I", raw, 12)[0]
        tree, blob = json.loads(raw[20 : 20 + n]), raw[28 + n :]
        blob = change(tree, blob)
        text = json.dumps(tree).encode()
        text += b" " * (-len(text) % 4)
        blob += b"\0" * (-len(blob) % 4)
        path.write_bytes(
            b"glTF"
            + struct.pack("<III", 2, 28 + len(text) + len(blob), len(text))
            + b"JSON"
            + text
            + struct.pack("<I", len(blob))
            + b"BIN\0"
            + blob
        )
        return ["intake", str(d / "out"), str(d / "o.png"), "--size", "48x32"]

    return make


def _array(name: str, values: np.ndarray, kind: str, component: int = 5126):
    def change(tree, blob):
        blob += b"\0" * (-len(blob) % 4)
        tree["bufferViews"].append({"buffer": 0, "byteOffset": len(blob), "byteLength": values.nbytes})
        tree["accessors"].append(
            {"bufferView": len(tree["bufferViews"]) - 1, "componentType": component, "count": len(values), "type": kind}
        )
        tree["buffers"][0]["byteLength"] = len(blob) + values.nbytes
        for part in (p for m in tree["meshes"] for p in m["primitives"]):
            if name == "indices":
                part["indices"] = len(tree["accessors"]) - 1
            else:
                part["attributes"][name] = len(tree["accessors"]) - 1
        return blob + values.tobytes()

    return change


def step_file(target: str):
    """A maker: a step of a recipe that reads a device, a pipe, or something that is no picture."""

    def make(d: Path) -> list[str]:
        os.mkfifo(d / "pipe")
        picture(d / "a.png")
        (d / "r.json").write_text(json.dumps({"steps": [{"step": "shape", "file": target}]}))
        return ["prepare", str(d / "a.png"), str(d / "o.png"), "--recipe", str(d / "r.json")]

    return make


def _groups(d: Path) -> list[str]:
    row: dict = {"id": "row", "name": "Row", "cells": {}}
    for k in range(150):
        row = {"id": f"g{k}", "name": "g", "rows": [row]}
    return ["check", str(project(d, overlay(1, layers={"rows": [row]})))]


def _steps(d: Path) -> list[str]:
    return ["check", str(project(d, overlay(1, steps=[{"step": "spread"}] * 3000)))]


def _crowded(d: Path) -> list[str]:
    return ["check", str(project(d, *({"id": f"k{k:07d}", "name": "x", "source": {"path": ""}} for k in range(100_000))))]


def _in_a_circle(d: Path) -> list[str]:
    rows = [
        overlay(k, layers={"rows": [{"id": f"r{k}", "name": "over", "laid_over": f"k{(k + 1) % 3:07d}"}]}) for k in range(3)
    ]
    return ["deliver", str(project(d, *rows)), str(d / "out")]


def _doubling(d: Path) -> list[str]:
    def rows(k):
        return [{"id": f"r{k}{j}", "name": "over", "laid_over": f"k{k + j:07d}"} for j in (1, 2) if k + j < 40]

    doc = [overlay(k, source={"path": "", "canvas": [8, 8]}, layers={"rows": rows(k)}) for k in range(40)]
    return ["check", str(project(d, *doc))]


def _pages(d: Path) -> list[str]:
    with tifffile.TiffWriter(d / "a.tif") as tiff:
        tiff.write(np.full((16, 16, 4), 90, np.uint8), extrasamples=["unassalpha"])
        for _ in range(3):
            tiff.write(np.zeros((9000, 9000), np.uint8), compression="zlib")
    return ["check", str(d / "a.tif")]


def _long(d: Path) -> list[str]:
    picture(d / "a.png")
    return ["prepare", str(d / "a.png"), str(d / "o.png"), "--recipe", str(d / ("r" * 200)) + "/" + "q" * 6000]


def _escapes(d: Path) -> list[str]:
    p = project(d, overlay(1, name="a\x1b[2J\x07b\nc\u202ed"))
    return ["check", str(p)]


def arguments(*words: str):
    """A maker: an honest project, met by odd arguments; ``@`` stands for it."""

    def make(d: Path) -> list[str]:
        p = str(project(d))
        return [w.replace("@", p).replace("OUT", str(d / "o.png")) for w in words]

    return make


def result(tree):
    """A maker: a result that is brought together with others."""

    def make(d: Path) -> list[str]:
        (d / "r.json").write_text(json.dumps(tree))
        return ["check", str(d / "r.json")]

    return make


def _narrow(shape):
    def make(d: Path) -> list[str]:
        Image.fromarray(np.full((*shape, 4), 128, np.uint8)).save(d / "a.png")
        return ["check", str(d / "a.png")]

    return make


nan, far = float("nan"), 3e38
CASES = {
    "uvs out of sight": obj(QUAD + "vt 1e300 0\nvt 1 0\nvt 1 1e300\nvt 0 1\n" + FACES),
    "corners out of sight": obj(QUAD.replace("1 1 0", "1e300 1 0") + UVS + FACES),
    "corners that are none": obj(QUAD.replace("-1 0 0", "nan inf 0") + UVS + FACES),
    "an index far beyond": obj(QUAD + UVS + "f 1/1 2/2 1000000000000/3\n"),
    "an index of nought": obj(QUAD + UVS + "f 0/0 2/2 3/3\n"),
    "a face of a million corners": obj(QUAD + UVS + FACES + "f " + "1/1 2/2 3/3 " * 333_333 + "\n"),
    "thousands of groups": obj(QUAD + UVS + "".join(f"g x{k}\nusemtl m{k}\n{FACES}" for k in range(1100))),
    "a material that is a pipe": obj_beside("mtllib", "pipe"),
    "a material that never ends": obj_beside("mtllib", "/dev/zero"),
    "a picture that is a pipe": obj_beside("map", "pipe"),
    "nodes in a chain": gltf(_chain),
    "nodes in a circle": gltf(_circle),
    "a crowd of nodes": gltf(_crowd),
    "a buffer that is a pipe": gltf(_uri("pipe")),
    "a buffer that never ends": gltf(_uri("/dev/zero")),
    "a buffer elsewhere": gltf(_uri("../../etc/passwd")),
    "a hundred million corners": gltf(_nothing(10**8)),
    "corners beyond counting": gltf(_nothing(10**15)),
    "corners below nought": gltf(_nothing(-5)),
    "delivered: indices below nought": delivered(_array("indices", np.array([[-1], [0], [2]], np.float32), "SCALAR")),
    "delivered: uvs that are none": delivered(_array("TEXCOORD_0", np.full((4, 2), nan, np.float32), "VEC2")),
    "delivered: uvs out of sight": delivered(_array("TEXCOORD_0", np.full((4, 2), far, np.float32), "VEC2")),
    "delivered: few uvs": delivered(_array("TEXCOORD_0", np.zeros((1, 2), np.float32), "VEC2")),
    "delivered: narrow normals": delivered(_array("NORMAL", np.zeros((4, 2), np.float32), "VEC2")),
    "delivered: few tints": delivered(_array("COLOR_0", np.zeros((1, 4), np.float32), "VEC4")),
    "a step that reads without end": step_file("/dev/zero"),
    "a step that waits": step_file("pipe"),
    "a step that reads a folder": step_file("."),
    "nested groups": _groups,
    "thousands of steps": _steps,
    "a hundred thousand overlays": _crowded,
    "laid over in a circle": _in_a_circle,
    "each over the next two": _doubling,
    "pages past the first": _pages,
    "a name of thousands of letters": _long,
    "a name that commands the terminal": _escapes,
    "a size in superscript": arguments("render", "@", "OUT", "--size", "²x²"),
    "a size of nothing": arguments("render", "@", "OUT", "--size", "0x0"),
    "a pixel in superscript": arguments("ledger", "@", "--at", "¹,¹"),
    "frames in superscript": arguments("render", "@", "OUT", "--frames", "¹:²"),
    "a size beyond": arguments("render", "@", "OUT", "--size", "99999x99999"),
    "results of nobody": result({"pictures": [{}], "findings": []}),
    "results without figures": result({"pictures": [], "findings": [{"id": "matte", "figure": None, "message": "x"}]}),
    "results that are lists": result([[]]),
    "one texel wide": _narrow((16384, 1)),
    "one texel high": _narrow((1, 16384)),
    "a single texel": _narrow((1, 1)),
}
"""Makers by what is odd about them."""

if __name__ == "__main__":
    for name, make in CASES.items():
        folder = Path(sys.argv[1]) / name.replace(" ", "-").replace(":", "")
        folder.mkdir(parents=True)
        print(f"{name}: mivex {' '.join(make(folder))}"[:200])

"""Reads one mesh file in a process of its own, under limits; started by `mivex.core.stage.meshes`, never imported.

Standard input: a line of JSON (path, limits), then the file. Standard output: the parts as one NumPy archive; with exit
code 3 a few words why there are none. What a file declares is looked at before anything is made of it.
"""

import io
import json
import os
import re
import resource
import stat
import struct
import sys
from typing import Any

from mivex.core.base.messages import Message

MOST_TRIANGLES = 2_000_000
MOST_NODES = 20_000
MOST_GROUPS = 2_000
"""Groups of an OBJ beyond which they are not told apart: each would become a mesh of its own."""
MOST_CORNERS = 4096
"""Corners of one face."""
DEEPEST = 64
BROKEN = 3


class Refused(Exception):
    """The file is not what it says, or asks for too much; the message ends a sentence."""


def tree_of(data: bytes, binary: bool) -> tuple[dict[str, Any], bytes]:
    """The JSON of a glTF file, and what follows it."""
    if not binary:
        return json.loads(data), b""
    if len(data) < 20 or data[:4] != b"glTF":
        raise Refused("it is no glTF file")
    length, kind = struct.unpack_from("<II", data, 12)
    if kind != 0x4E4F534A or 20 + length > len(data):
        raise Refused("its first part is cut short")
    return json.loads(data[20 : 20 + length]), data[20 + length :]


def look_through(tree: dict[str, Any]) -> None:
    """Refuse what a glTF declares beyond reason: accessors without data or huge, long chains and circles of nodes."""
    count = 0
    for a in tree.get("accessors", []):
        n = a["count"]
        if isinstance(n, bool) or not isinstance(n, int) or n < 0:
            raise Refused("an accessor's count is no whole number")
        if "bufferView" not in a and "sparse" not in a:
            raise Refused("an accessor has no data")
        count += n
    if count > 16 * MOST_TRIANGLES:
        raise Refused(Message("its accessors declare {count:,} values", count=count))
    nodes = tree.get("nodes", [])
    if len(nodes) > MOST_NODES:
        raise Refused(Message("it has {count:,} nodes", count=len(nodes)))
    triangles = 0
    sizes = {}
    for k, mesh in enumerate(tree.get("meshes", [])):
        parts = mesh.get("primitives", [])
        sizes[k] = sum(
            tree["accessors"][p["indices"]]["count"] // 3
            if "indices" in p
            else tree["accessors"][p["attributes"]["POSITION"]]["count"] // 3
            for p in parts
        ) + len(parts)
        if len(parts) > MOST_NODES:
            raise Refused(Message("a mesh has {count:,} parts", count=len(parts)))
    depth = [0] * len(nodes)
    parents = [0] * len(nodes)
    for node in nodes:
        for child in node.get("children", []):
            parents[child] += 1
        triangles += sizes.get(node.get("mesh"), 0)
    if triangles > MOST_TRIANGLES + MOST_NODES:
        raise Refused(Message("it has more than {most_triangles:,} triangles", most_triangles=MOST_TRIANGLES))
    ready = [k for k, n in enumerate(parents) if n == 0]
    seen = 0
    while ready:
        k = ready.pop()
        seen += 1
        for child in nodes[k].get("children", []):
            depth[child] = max(depth[child], depth[k] + 1)
            parents[child] -= 1
            if parents[child] == 0:
                ready.append(child)
    if seen < len(nodes):
        raise Refused("its nodes go round in a circle")
    if max(depth, default=0) > DEEPEST:
        raise Refused(Message("its nodes are nested more than {deepest} deep", deepest=DEEPEST))


def named_uvs(data: bytes, binary: bool, folder: str) -> bytes:
    """glTF with its UV sets named as attributes of the file's own, which is how the reader keeps more than one."""
    tree, rest = tree_of(data, binary)
    look_through(tree)
    for b in tree.get("buffers", []):
        uri = b.get("uri")
        if uri is not None and not str(uri).startswith("data:"):
            regular(folder, uri)
    for mesh in tree.get("meshes", []):
        for part in mesh.get("primitives", []):
            names = part.get("attributes", {})
            for i in (0, 1):
                if f"TEXCOORD_{i}" in names:
                    names[f"_UV{i}"] = names.pop(f"TEXCOORD_{i}")
            part.pop("material", None)
    for key in ("images", "textures", "materials", "samplers"):
        tree.pop(key, None)
    text = json.dumps(tree).encode()
    if not binary:
        return text
    text += b" " * (-len(text) % 4)
    return b"glTF" + struct.pack("<III", 2, 20 + len(text) + len(rest), len(text)) + b"JSON" + text + rest


def regular(folder: str, name: object) -> str:
    """A file beside the mesh that can be read to its end; devices and pipes cannot."""
    if not isinstance(name, str) or os.path.basename(name) != name or name in ("", ".", ".."):
        raise Refused("it names a file that does not lie beside it")
    path = os.path.join(folder, name)
    try:
        seen = os.stat(path)
    except OSError:
        raise Refused(Message("“{name}” beside it is missing", name=name[:60])) from None
    if not stat.S_ISREG(seen.st_mode) or seen.st_size > 1 << 30:
        raise Refused(Message("“{name}” beside it is no file of a mesh", name=name[:60]))
    return path


def plain_obj(data: bytes) -> bytes:
    """An OBJ without its materials, which nothing here reads, and without groups where there are thousands."""
    for face in re.finditer(rb"(?m)^[ \t]*f[ \t][^\n]{%d,}" % (2 * MOST_CORNERS), data):
        if (count := len(face.group().split()) - 1) > MOST_CORNERS:
            raise Refused(Message("a face of it has {count:,} corners", count=count))
    data = re.sub(rb"(?m)^[ \t]*mtllib\b[^\n]*", b"", data)
    if len(re.findall(rb"(?m)^[ \t]*(?:[og]|usemtl)\b", data)) > MOST_GROUPS:
        data = re.sub(rb"(?m)^[ \t]*(?:[og]|usemtl)\b[^\n]*", b"", data)
    return without_hollow_faces(data)


def without_hollow_faces(data: bytes) -> bytes:
    """An OBJ whose faces that are not convex are cut into triangles: the reader would fan them out over their notches."""
    import numpy as np

    points: list[list[float]] = []
    lines = data.split(b"\n")
    faces: list[tuple[int, list[int]]] = []
    for number, line in enumerate(lines):
        words = line.split()
        if len(words) > 3 and words[0] == b"v":
            try:
                points.append([float(w) for w in words[1:4]])
            except ValueError:
                return data  # the reader will say what is wrong
        elif len(words) > 4 and words[0] == b"f":
            try:
                corners = [int(w.split(b"/", 1)[0]) for w in words[1:]]
            except ValueError:
                return data
            faces.append((number, [k - 1 if k > 0 else len(points) + k for k in corners]))
    if not faces:
        return data
    at = np.array(points)
    for number, corners in faces:
        if min(corners) < 0 or max(corners) >= len(at):
            return data
        if (cut := _cut_in_ears(at[corners])) is not None:
            words = lines[number].split()[1:]
            lines[number] = b"\n".join(b"f " + b" ".join(words[k] for k in t) for t in cut)
    return b"\n".join(lines)


def _cut_in_ears(corners: Any) -> Any:
    """Triangles (n, 3) of a polygon's corners (m, 3) that is not convex; None where it is, or is nothing."""
    import numpy as np

    after = np.roll(corners, -1, axis=0)
    way = np.cross(corners, after).sum(axis=0)  # Newell's normal
    length = float(np.linalg.norm(way))
    if not length > 0:
        return None
    way /= length
    edges = after - corners
    turns = np.cross(np.roll(edges, 1, axis=0), edges) @ way
    if turns.min() >= -1e-9 * np.abs(turns).max():
        return None
    import mapbox_earcut

    axis = np.eye(3)[int(np.abs(way).argmin())]
    across = np.cross(axis, way)
    across /= np.linalg.norm(across)
    flat = np.ascontiguousarray((corners - corners[0]) @ np.stack([across, np.cross(way, across)], axis=1))
    found = mapbox_earcut.triangulate_float64(flat, np.array([len(flat)], np.uint32)).reshape(-1, 3).astype(int)
    a, b = flat[found[:, 1]] - flat[found[:, 0]], flat[found[:, 2]] - flat[found[:, 0]]
    turned = a[:, 0] * b[:, 1] - a[:, 1] * b[:, 0] < 0
    found[turned] = found[turned][:, ::-1]
    return found if len(found) else None


class Beside:
    """Gives the reader files beside the mesh, and no others."""

    def __init__(self, folder: str) -> None:
        self.folder = folder

    def get(self, name: str) -> bytes:
        """What a file holds."""
        with open(regular(self.folder, name), "rb") as f:
            return f.read()


def read(path: str, data: bytes) -> dict[str, Any]:
    """Arrays of every part: vertices, faces, place, normals and UVs where the file has them."""
    import numpy as np
    import trimesh

    folder, suffix = os.path.dirname(path), os.path.splitext(path)[1].lower()
    gltf = suffix in (".glb", ".gltf")
    if gltf:
        data = named_uvs(data, suffix == ".glb", folder)
    elif suffix == ".obj":
        data = plain_obj(data)
    beside: Any = Beside(folder)
    found: Any = trimesh.load(
        io.BytesIO(data),
        file_type=suffix[1:],
        process=False,
        maintain_order=False,
        resolver=beside,
        skip_materials=suffix != ".obj",
    )
    placed = (
        [(found.geometry[g], np.array(m)) for m, g in (found.graph[n] for n in found.graph.nodes_geometry)]
        if isinstance(found, trimesh.Scene)
        else [(found, np.eye(4))]
    )
    placed = [(p, m) for p, m in placed if isinstance(p, trimesh.Trimesh) and len(p.faces)]
    if sum(len(p.faces) for p, _ in placed) > MOST_TRIANGLES:
        raise Refused(Message("it has more than {most_triangles:,} triangles", most_triangles=MOST_TRIANGLES))
    rows: dict[str, Any] = {"count": np.array(len(placed))}
    for k, (p, m) in enumerate(placed):
        rows[f"position{k}"] = np.array(p.vertices, np.float64)
        rows[f"faces{k}"] = np.array(p.faces, np.int64)
        rows[f"place{k}"] = np.array(m, np.float64)
        # The normals that the file holds are kept under this name, and only those.
        given = p._cache.cache.get("vertex_normals")
        if given is not None:
            rows[f"normal{k}"] = np.array(given, np.float64)
        if gltf:
            for i in (0, 1):
                if (uv := p.vertex_attributes.get(f"_UV{i}")) is not None:
                    rows[f"uv{i}{k}"] = np.array(uv, np.float64)
        else:
            uv = getattr(p.visual, "uv", None)
            if uv is not None and len(uv) == len(p.vertices):
                flipped = np.array(uv, np.float64)[:, :2]
                flipped[:, 1] = 1 - flipped[:, 1]  # these formats count v from below
                rows[f"uv0{k}"] = flipped
    return rows


def main() -> int:
    """Read; exit 0 with the arrays, 3 with words where it is no mesh."""
    settings = json.loads(sys.stdin.buffer.readline())
    resource.setrlimit(resource.RLIMIT_AS, (settings["memory"], settings["memory"]))
    resource.setrlimit(resource.RLIMIT_CPU, (settings["seconds"], settings["seconds"]))
    resource.setrlimit(resource.RLIMIT_CORE, (0, 0))
    try:
        rows = read(settings["path"], sys.stdin.buffer.read())
    except MemoryError:
        return 1
    except Refused as e:
        sys.stdout.write(str(e))
        return BROKEN
    except BaseException as e:
        sys.stdout.write(" ".join(str(e).split())[:120] or type(e).__name__)
        return BROKEN
    import numpy as np

    np.savez(sys.stdout.buffer, **rows)
    sys.stdout.buffer.flush()
    return 0


if __name__ == "__main__":
    os._exit(main())

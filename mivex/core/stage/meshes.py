"""Meshes from files: OBJ, PLY and glTF, read by trimesh.

What a file lacks is made and said: normals from the faces, UVs by laying the mesh flat from its six sides.
"""

import io
import json
import struct
from dataclasses import dataclass
from pathlib import Path
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError
from mivex.core.base.store import check_regular, read_bytes, shown
from mivex.core.base.types import Doubles
from mivex.core.stage.mesh import Mesh

READABLE_MESHES = (".obj", ".ply", ".glb", ".gltf")
MOST_TRIANGLES = 2_000_000
MOST_BYTES = 1 << 30


@dataclass(frozen=True, eq=False)
class LoadedMesh:
    """A mesh from a file.

    Attributes
    ----------
    mesh : Mesh
    notes : tuple of str
        What had to be made because the file does not have it.
    """

    mesh: Mesh
    notes: tuple[str, ...] = ()


def _renamed(data: bytes, binary: bool) -> bytes:
    """glTF with its UV sets named as attributes of the file's own, which is how the reader keeps more than one."""
    if binary:
        if len(data) < 20 or data[:4] != b"glTF":
            raise ValueError("not a glTF file")
        length, kind = struct.unpack_from("<II", data, 12)
        if kind != 0x4E4F534A or 20 + length > len(data):
            raise ValueError("its first part is cut short")
        tree, rest = json.loads(data[20:20 + length]), data[20 + length:]
    else:
        tree, rest = json.loads(data), b""
    for mesh in tree.get("meshes", []):
        for part in mesh.get("primitives", []):
            names = part.get("attributes", {})
            for i in (0, 1):
                if f"TEXCOORD_{i}" in names:
                    names[f"_UV{i}"] = names.pop(f"TEXCOORD_{i}")
            part.pop("material", None)
    text = json.dumps(tree).encode()
    if not binary:
        return text
    text += b" " * (-len(text) % 4)
    return b"glTF" + struct.pack("<III", 2, 20 + len(text) + len(rest), len(text)) + b"JSON" + text + rest


def _parts(path: Path) -> list[tuple[Any, Doubles]]:
    """The meshes of a file, each with its place (4, 4)."""
    import trimesh

    suffix = path.suffix.lower()
    data = read_bytes(path, MOST_BYTES, "mesh")
    if suffix in (".glb", ".gltf"):
        data = _renamed(data, suffix == ".glb")
    resolver = trimesh.resolvers.FilePathResolver(str(path))
    found: Any = trimesh.load(io.BytesIO(data), file_type=suffix[1:], process=False, maintain_order=False,
                              resolver=resolver, skip_materials=suffix != ".obj")
    placed = ([(found.geometry[g], np.array(m)) for m, g in (found.graph[n] for n in found.graph.nodes_geometry)]
              if isinstance(found, trimesh.Scene) else [(found, np.eye(4))])
    return [(p, m) for p, m in placed if isinstance(p, trimesh.Trimesh) and len(p.faces)]


def _uv_of(part: Any, gltf: bool) -> tuple[Doubles | None, Doubles | None]:
    if gltf:
        kept = part.vertex_attributes
        return kept.get("_UV0"), kept.get("_UV1")
    uv = getattr(part.visual, "uv", None)
    if uv is None or len(uv) != len(part.vertices):
        return None, None
    flipped = np.array(uv, np.float64)[:, :2]
    flipped[:, 1] = 1 - flipped[:, 1]  # these formats count v from below
    return flipped, None


def flat_uvs(position: Doubles, normal: Doubles) -> Doubles:
    """UVs by looking at each corner from the side it faces, a metre to a picture; upright on the sides."""
    axis = np.abs(normal).argmax(axis=1)
    x, y, z = position.T
    way = np.choose(axis, [-np.sign(normal[:, 0]), np.ones(len(normal)), np.sign(normal[:, 2])])
    u = np.choose(axis, [z, x, x]) * way
    v = np.choose(axis, [-y, z, -y])
    return np.stack([u, v], axis=1)


def _normals(position: Doubles, index: NDArray[np.int64]) -> Doubles:
    """Area-weighted normals of corners that share a place; hard edges stay where a file keeps corners apart by UV."""
    a, b, c = (position[index[:, k]] for k in range(3))
    face = np.cross(b - a, c - a)
    out = np.zeros_like(position)
    for k in range(3):
        np.add.at(out, index[:, k], face)
    length = np.linalg.norm(out, axis=1, keepdims=True)
    return np.where(length > 1e-20, out / np.maximum(length, 1e-20), [0.0, 1.0, 0.0])


def read_mesh(path: str | Path) -> LoadedMesh:
    """Read a mesh from a file; raises MivexError.

    Parameters
    ----------
    path : str or Path
        OBJ, PLY, or glTF 2.0 (``.glb``, ``.gltf``).

    Returns
    -------
    LoadedMesh
        In metres as the file says, y up, with up to two UV sets.
    """
    whole = Path(path)
    if whole.suffix.lower() not in READABLE_MESHES:
        raise MivexError(f"“{shown(whole.name)}” is no mesh that can be read here; OBJ, PLY and glTF can.")
    check_regular(whole, MOST_BYTES, "mesh")
    try:
        parts = _parts(whole)
    except MivexError:
        raise
    except BaseException as e:  # bindings raise some that are no Exception
        if isinstance(e, KeyboardInterrupt):
            raise
        why = shown(str(e) or type(e).__name__)[:120]
        raise MivexError(f"“{shown(whole.name)}” cannot be read as a mesh: {why}.") from None
    if not parts:
        raise MivexError(f"“{shown(whole.name)}” holds no triangles.")
    if sum(len(p.faces) for p, _ in parts) > MOST_TRIANGLES:
        raise MivexError(f"“{shown(whole.name)}” has more than {MOST_TRIANGLES:,} triangles.")
    return _joined(parts, whole)


def _joined(parts: list[tuple[Any, Doubles]], path: Path) -> LoadedMesh:
    gltf = path.suffix.lower() in (".glb", ".gltf")
    notes: set[str] = set()
    rows: dict[str, list[Doubles]] = {k: [] for k in ("position", "normal", "uv0", "uv1")}
    index, start, seconds = [], 0, []
    for p, matrix in parts:
        position, faces = np.array(p.vertices, np.float64), np.array(p.faces, np.int64)
        # The normals that the file holds are kept under this name, and only those.
        given = p._cache.cache.get("vertex_normals")
        if not np.isfinite(position).all() or faces.min() < 0 or faces.max() >= len(position):
            raise MivexError(f"“{shown(path.name)}” has corners that are nowhere.")
        if given is None or len(given) != len(position) or not np.isfinite(given).all():
            normal = _normals(position, faces)
            notes.add("It has no normals; they were made from its faces.")
        else:
            length = np.linalg.norm(given, axis=1, keepdims=True)
            normal = np.where(length > 1e-9, given / np.maximum(length, 1e-9), [0.0, 1.0, 0.0])
        first, second = _uv_of(p, gltf)
        if first is None or len(first) != len(position) or not np.isfinite(first).all():
            # Every triangle gets corners of its own: those that it shares face several sides at once.
            ways = np.cross(position[faces[:, 1]] - position[faces[:, 0]], position[faces[:, 2]] - position[faces[:, 0]])
            ok = second is not None and len(second) == len(position)
            second = np.asarray(second)[faces.reshape(-1)] if ok else None
            position, normal = position[faces.reshape(-1)], normal[faces.reshape(-1)]
            faces = np.arange(len(position), dtype=np.int64).reshape(-1, 3)
            first = flat_uvs(position, np.repeat(ways, 3, axis=0))
            notes.add("It has no UVs; they were made by looking at it from its six sides, a metre to a picture.")
        ok = second is not None and len(second) == len(position) and bool(np.isfinite(second).all())
        placed = Mesh(position, np.asarray(normal, np.float64), np.zeros((len(position), 2)), faces)
        if not np.array_equal(matrix, np.eye(4)):
            if abs(float(np.linalg.det(matrix[:3, :3]))) < 1e-12:
                continue  # squashed flat: there is nothing to see
            placed = placed.transformed(matrix[:3])
            if np.linalg.det(matrix[:3, :3]) < 0:
                faces = faces[:, ::-1].copy()  # mirrored: the front stays the front
        seconds.append(ok)
        rows["position"].append(placed.position)
        rows["normal"].append(placed.normal)
        rows["uv0"].append(np.asarray(first, np.float64)[:, :2])
        rows["uv1"].append(np.asarray(second, np.float64)[:, :2] if ok else np.zeros((len(position), 2)))
        index.append(faces + start)
        start += len(position)
    if not index:
        raise MivexError(f"“{shown(path.name)}” holds no triangles.")
    whole = {k: np.concatenate(v) for k, v in rows.items()}
    if any(seconds) and not all(seconds):
        notes.add("Only a part of it has a second UV set.")
    return LoadedMesh(Mesh(whole["position"], whole["normal"], whole["uv0"], np.concatenate(index),
                           whole["uv1"] if any(seconds) else None), tuple(sorted(notes)))

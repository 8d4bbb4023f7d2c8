"""Meshes from files: OBJ, PLY and glTF, read by trimesh in a process of its own.

What a file lacks is made and said: normals from the faces, UVs by laying the mesh flat from its six sides.
"""

import io
import json
from dataclasses import dataclass
from functools import lru_cache
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError
from mivex.core.base.guarded import BROKEN, run_guarded
from mivex.core.base.messages import Message
from mivex.core.base.paths import TEXT_LIMIT, check_regular, read_bytes, shown
from mivex.core.base.types import Doubles
from mivex.core.stage.mesh import Mesh, checked

READABLE_MESHES = (".obj", ".ply", ".glb", ".gltf")
MOST_BYTES = 1 << 30
_CHILD = Path(__file__).with_name("mesh_child.py")


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


def files_of(path: str | Path) -> tuple[Path, ...]:
    """A file, and the files beside it that are read with it: the buffers of a ``.gltf``; those alone that are there."""
    whole = Path(path)
    try:
        seen = whole.stat()
    except OSError:
        return (whole,)
    if whole.suffix.lower() != ".gltf":
        return (whole,)
    return (whole, *(whole.parent / n for n in _buffers(whole, seen.st_mtime_ns, seen.st_size)))


@lru_cache(maxsize=64)
def _buffers(path: Path, _changed: int, _size: int) -> tuple[str, ...]:
    try:
        rows = json.loads(read_bytes(path, TEXT_LIMIT))["buffers"]
        names = [str(b["uri"]) for b in rows if "uri" in b]
    except (MivexError, ValueError, KeyError, TypeError, RecursionError):
        return ()  # what is wrong with it is said where it is read
    return tuple(n for n in names if not n.startswith("data:") and Path(n).name == n and "\0" not in n)


def _parts(path: Path) -> list[dict[str, Doubles]]:
    """The parts of a file, each with its arrays and its place (4, 4); raises MivexError."""
    data = read_bytes(path, MOST_BYTES, "mesh")
    name = shown(path.name)
    # What a mesh takes follows from its file: a small one cannot claim the machine.
    code, out = run_guarded(
        _CHILD, {"path": str(path.resolve())}, data, memory=(1100 << 20) + 24 * len(data), seconds=25, what=name
    )
    if code == BROKEN:
        raise MivexError(
            Message(
                "“{name}” cannot be read as a mesh: {decode}.",
                name=name,
                decode=shown(out.decode("utf-8", "replace"))[:160],
            )
        )
    with np.load(io.BytesIO(out), allow_pickle=False) as rows:
        return [
            {k: rows[f"{k}{n}"] for k in ("position", "faces", "place", "normal", "uv0", "uv1") if f"{k}{n}" in rows}
            for n in range(int(rows["count"]))
        ]


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
        raise MivexError(
            Message("“{name}” is no mesh that can be read here; OBJ, PLY and glTF can.", name=shown(whole.name))
        )
    check_regular(whole, MOST_BYTES, "mesh")
    parts = _parts(whole)
    if not parts:
        raise MivexError(Message("“{name}” holds no triangles.", name=shown(whole.name)))
    return _joined(parts, whole)


def _joined(parts: list[dict[str, Doubles]], path: Path) -> LoadedMesh:
    notes: set[str] = set()
    rows: dict[str, list[Doubles]] = {k: [] for k in ("position", "normal", "uv0", "uv1")}
    index, start, seconds = [], 0, []
    for p in parts:
        position, faces, matrix, given = p["position"], p["faces"].astype(np.int64), p["place"], p.get("normal")
        if not np.isfinite(position).all() or faces.min() < 0 or faces.max() >= len(position):
            raise MivexError(Message("“{name}” has corners that are nowhere.", name=shown(path.name)))
        if given is None or len(given) != len(position) or not np.isfinite(given).all():
            normal = _normals(position, faces)
            notes.add("It has no normals; they were made from its faces.")
        else:
            length = np.linalg.norm(given, axis=1, keepdims=True)
            normal = np.where(length > 1e-9, given / np.maximum(length, 1e-9), [0.0, 1.0, 0.0])
        first, second = p.get("uv0"), p.get("uv1")
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
        raise MivexError(Message("“{name}” holds no triangles.", name=shown(path.name)))
    whole = {k: np.concatenate(v) for k, v in rows.items()}
    if any(seconds) and not all(seconds):
        notes.add("Only a part of it has a second UV set.")
    made = Mesh(
        whole["position"], whole["normal"], whole["uv0"], np.concatenate(index), whole["uv1"] if any(seconds) else None
    )
    return LoadedMesh(checked(made, f"“{shown(path.name)}”"), tuple(sorted(notes)))

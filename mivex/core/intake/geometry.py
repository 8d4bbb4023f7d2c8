"""Reading delivered geometry: the placements' meshes of a glTF file, in the world, as they were written."""

import json
import struct
from pathlib import Path
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message
from mivex.core.base.paths import read_bytes, shown
from mivex.core.stage.mesh import Mesh, checked

_KINDS = {5121: np.uint8, 5123: np.uint16, 5125: np.uint32, 5126: np.float32}
_WIDE = {"SCALAR": 1, "VEC2": 2, "VEC3": 3, "VEC4": 4}
_LARGEST = 1 << 30


def _parts(path: Path) -> tuple[dict[str, Any], bytes]:
    """The tree of a file, and its binary part."""
    data = read_bytes(path, _LARGEST, "mesh")
    if path.suffix.lower() == ".glb":
        if len(data) < 20 or data[:4] != b"glTF":
            raise ValueError
        length, kind = struct.unpack_from("<II", data, 12)
        if kind != 0x4E4F534A or 20 + length > len(data):
            raise ValueError
        tree = json.loads(data[20 : 20 + length])
        rest = data[20 + length :]
        return tree, rest[8:] if len(rest) > 8 else b""
    tree = json.loads(data)
    uri = tree["buffers"][0]["uri"]
    if not isinstance(uri, str) or Path(uri).name != uri:
        raise ValueError
    return tree, read_bytes(path.parent / uri, _LARGEST, "mesh")


def _values(tree: dict[str, Any], blob: bytes, number: int) -> NDArray[Any]:
    a = tree["accessors"][number]
    v = tree["bufferViews"][a["bufferView"]]
    kind, wide, count = _KINDS[a["componentType"]], _WIDE[a["type"]], int(a["count"])
    at = int(v.get("byteOffset", 0)) + int(a.get("byteOffset", 0))
    if count < 0 or at < 0 or at + count * wide * np.dtype(kind).itemsize > len(blob):
        raise ValueError
    return np.frombuffer(blob, kind, count * wide, at).reshape(count, wide)


def placed_meshes(path: str | Path) -> dict[int, Mesh]:
    """The mesh of every placement of a delivered file, by the placement's number; raises MivexError."""
    path = Path(path)
    try:
        tree, blob = _parts(path)
        found: dict[int, Mesh] = {}
        for node in tree["nodes"]:
            number = int(node["extras"]["mivex"]["place"])
            part = tree["meshes"][node["mesh"]]["primitives"][0]
            names = part["attributes"]
            position = _values(tree, blob, names["POSITION"]).astype(np.float64)
            index = _values(tree, blob, part["indices"]).astype(np.int64).reshape(-1, 3)

            def more(name: str, names: dict[str, int] = names) -> NDArray[np.float64] | None:
                return _values(tree, blob, names[name]).astype(np.float64) if name in names else None

            normal, uv = more("NORMAL"), more("TEXCOORD_0")
            if normal is None or uv is None or not len(index):
                raise ValueError
            # Lifted for viewers that know no depth bias; here the sheet's own counts.
            off = float(node["extras"]["mivex"].get("lifted_metres", 0.0))
            if not abs(off) <= 1.0:
                raise ValueError
            position = position - normal * off
            found[number] = checked(
                Mesh(position, normal, uv, index, more("TEXCOORD_1"), more("COLOR_0")), f"“{shown(path.name)}”"
            )
        return found
    except (ValueError, KeyError, TypeError, IndexError, AttributeError, struct.error, RecursionError, OverflowError):
        raise MivexError(
            Message("“{name}” is no geometry that Mivex has delivered, or is cut short.", name=shown(path.name))
        ) from None

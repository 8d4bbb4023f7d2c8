"""What OpenImageIO leaves out of TGA files: alpha of 16-bit texels and of 32-bit colour maps, and how alpha is stored.

References
----------
Truevision TGA File Format Specification, version 2.0 (1991).
"""

import struct
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError
from mivex.core.base.messages import Message
from mivex.core.base.paths import read_bytes

_FOOTER = b"TRUEVISION-XFILE.\x00"
_PREMULTIPLIED = 4


def extras(path: Path, limit: int) -> tuple[NDArray[np.uint8] | None, bool]:
    """Alpha that a reader of colour alone drops, and whether colour is stored premultiplied.

    Parameters
    ----------
    path : Path
        A file that was found to be a TGA.
    limit : int
        Bytes to read at most.

    Returns
    -------
    alpha : uint8 array (height, width) or None
        0 to 255, row 0 at the top; None where the texels hold no such alpha.
    premultiplied : bool
        The extension area says so (attributes type 4).

    Raises
    ------
    MivexError
        The texels are cut short.
    """
    data = read_bytes(path, limit, "picture")
    if len(data) < 18:
        raise MivexError(Message("“{name}” is cut short or damaged; its texels cannot be read.", name=path.name))
    id_size, mapped, kind, first, entries, entry_bits, _, _, w, h, bits, flags = struct.unpack("<BBBHHBHHHHBB", data[:18])
    premultiplied = False
    if data[-18:] == _FOOTER and len(data) >= 26:
        (area,) = struct.unpack("<I", data[-26:-22])
        premultiplied = 0 < area <= len(data) - 26 - 495 and data[area + 494] == _PREMULTIPLIED
    at = 18 + id_size
    direct = kind & 7 == 2 and bits == 16 and flags & 15 == 1
    through_map = kind & 7 == 1 and mapped == 1 and entry_bits == 32 and bits in (8, 16)
    if not direct and not through_map:
        return None, premultiplied
    table = np.frombuffer(data, np.uint8, entries * 4, at).reshape(-1, 4)[:, 3] if through_map else None
    at += entries * ((entry_bits + 7) // 8) if mapped else 0
    size = bits // 8
    raw = _unpacked(data, at, w * h, size) if kind & 8 else data[at : at + w * h * size]
    if len(raw) < w * h * size:
        raise MivexError(Message("“{name}” is cut short or damaged; its texels cannot be read.", name=path.name))
    values = np.frombuffer(raw, np.uint8 if size == 1 else "<u2", w * h).reshape(h, w)
    if table is None:
        alpha = ((values >> 15) * 255).astype(np.uint8)
    else:
        places = values.astype(np.int64) - first
        if places.size and not 0 <= int(places.min()) <= int(places.max()) < len(table):
            raise MivexError(
                Message("“{name}” is damaged: its texels name colours that its colour map lacks.", name=path.name)
            )
        alpha = table[places]
    if not flags & 0x20:
        alpha = alpha[::-1]
    if flags & 0x10:
        alpha = alpha[:, ::-1]
    return np.ascontiguousarray(alpha), premultiplied


def _unpacked(data: bytes, at: int, count: int, size: int) -> bytes:
    """Run lengths undone: a packet's first byte says how many texels, and whether one stands for all."""
    parts, done = [], 0
    while done < count and at < len(data):
        n = (data[at] & 127) + 1
        at += 1
        if data[at - 1] & 128:
            parts.append(data[at : at + size] * n)
            at += size
        else:
            parts.append(data[at : at + n * size])
            at += n * size
        done += n
    return b"".join(parts)[: count * size]

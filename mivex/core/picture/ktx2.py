"""KTX 2 files: a texture with every mip level as it was made, uncompressed.

Written and read from the open specification alone (Khronos, *KTX File Format Specification*, version 2.0; *Khronos Data
Format Specification* 1.3, section 5 for the descriptor). Straight alpha is kept, and so is colour beneath it.
"""

import math
import struct
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError
from mivex.core.base.limits import fits
from mivex.core.base.messages import Message

MAGIC = bytes([0xAB, 0x4B, 0x54, 0x58, 0x20, 0x32, 0x30, 0xBB, 0x0D, 0x0A, 0x1A, 0x0A])
_HEAD = struct.Struct("<12s9I4I2Q")
_LEVEL = struct.Struct("<3Q")
# Vulkan's numbers of formats: R8, R8G8, R8G8B8, R8G8B8A8 as UNORM and SRGB; R16 … as UNORM; R32 … as SFLOAT.
_FORMATS = {
    ("uint8", 1, False): 9,
    ("uint8", 2, False): 16,
    ("uint8", 3, False): 23,
    ("uint8", 4, False): 37,
    ("uint8", 1, True): 15,
    ("uint8", 2, True): 22,
    ("uint8", 3, True): 29,
    ("uint8", 4, True): 43,
    ("uint16", 1, False): 70,
    ("uint16", 2, False): 77,
    ("uint16", 3, False): 84,
    ("uint16", 4, False): 91,
    ("float32", 1, False): 100,
    ("float32", 2, False): 103,
    ("float32", 3, False): 106,
    ("float32", 4, False): 109,
}
_KINDS = {number: kind for kind, number in _FORMATS.items()}
_RED, _ALPHA = 0, 15
_LINEAR, _SRGB = 1, 2
_TOP = {"uint8": 255, "uint16": 65535, "float32": 0x3F800000}


@dataclass(frozen=True)
class Ktx:
    """What a KTX 2 file holds.

    Attributes
    ----------
    levels : list of array (height, width, channels)
        Codes, uint8 or uint16, or float32; the largest first.
    srgb : bool
        Colour is encoded; otherwise the codes are to be read as they are.
    premultiplied : bool
        The descriptor says that colour is multiplied by alpha.
    """

    levels: list[NDArray]
    srgb: bool = False
    premultiplied: bool = False


def _descriptor(kind: str, count: int, srgb: bool, premultiplied: bool) -> bytes:
    """The basic data format descriptor: what every bit of a texel is."""
    bytes_each = np.dtype(kind).itemsize
    real = kind == "float32"
    samples = b""
    for k in range(count):
        channel = _ALPHA if k == 3 else _RED + k
        # Qualifiers: alpha stays linear where colour is encoded; reals are signed.
        qualifiers = (0xC0 if real else 0) | (0x10 if srgb and k == 3 else 0)
        low, high = struct.pack("<I", 0xBF800000 if real else 0), struct.pack("<I", _TOP[kind])
        bits = bytes_each * 8
        samples += struct.pack("<HBB4B", k * bits, bits - 1, channel | qualifiers, 0, 0, 0, 0) + low + high
    size = 24 + len(samples)
    block = struct.pack("<IHH", 0, 2, size)
    block += struct.pack("<4B", 1, 1, _SRGB if srgb else _LINEAR, int(premultiplied))
    block += bytes(4) + bytes([bytes_each * count]) + bytes(7)
    return struct.pack("<I", 4 + size) + block + samples


def encode(ktx: Ktx) -> bytes:
    """The bytes of a file.

    Parameters
    ----------
    ktx : Ktx
        One to four channels; levels halve from one to the next.

    Raises
    ------
    MivexError
        A kind of texel that the file cannot hold as encoded colour (16 bits have no encoded form).
    """
    top = ktx.levels[0]
    kind, count = top.dtype.name, top.shape[2]
    number = _FORMATS.get((kind, count, ktx.srgb))
    if number is None:
        raise MivexError("KTX 2 holds encoded colour in 8 bits only; choose 8 bits, or another format.")
    descriptor = _descriptor(kind, count, ktx.srgb, ktx.premultiplied)
    words = b""
    for key, value in (("KTXorientation", "rd"), ("KTXwriter", "Mivex")):
        entry = key.encode() + b"\0" + value.encode() + b"\0"
        words += struct.pack("<I", len(entry)) + entry + bytes(-len(entry) % 4)
    at_descriptor = _HEAD.size + _LEVEL.size * len(ktx.levels)
    at_words = at_descriptor + len(descriptor)
    step = math.lcm(np.dtype(kind).itemsize * count, 4)
    at = at_words + len(words)
    placed: list[tuple[int, bytes]] = []
    # The smallest level comes first, so that a reader can begin with it.
    for level in reversed(ktx.levels):
        at += -at % step
        raw = np.ascontiguousarray(level).astype(f"<{np.dtype(kind).str[1:]}", copy=False).tobytes()
        placed.append((at, raw))
        at += len(raw)
    head = _HEAD.pack(
        MAGIC,
        number,
        np.dtype(kind).itemsize,
        top.shape[1],
        top.shape[0],
        0,
        0,
        1,
        len(ktx.levels),
        0,
        at_descriptor,
        len(descriptor),
        at_words,
        len(words),
        0,
        0,
    )
    out = bytearray(head + b"".join(_LEVEL.pack(a, len(r), len(r)) for a, r in reversed(placed)) + descriptor + words)
    for a, raw in placed:
        out += bytes(a - len(out)) + raw
    return bytes(out)


def decode(data: bytes, name: str = "the file") -> Ktx:
    """What the bytes of a file hold.

    Raises
    ------
    MivexError
        No KTX 2 file, cut short, or of a kind that Mivex does not read: compressed, an array, a volume, a cube.
    """
    if len(data) < _HEAD.size or data[:12] != MAGIC:
        raise MivexError(Message("“{name}” is broken or not really a KTX 2 file.", name=name))
    (_, number, _, wide, high, deep, layers, faces, count, packed, at_descriptor, size_descriptor, *_) = _HEAD.unpack_from(
        data
    )
    if number not in _KINDS or deep or layers or faces != 1 or packed:
        raise MivexError(
            Message("“{name}” is a KTX 2 file of a kind that Mivex does not read: only flat, uncompressed ones.", name=name)
        )
    if not fits(wide, high) or not 1 <= count <= max(wide, high).bit_length():
        raise MivexError(
            Message(
                "“{name}” is broken: {wide} × {high} texels in {count} levels cannot be.",
                name=name,
                wide=wide,
                high=high,
                count=count,
            )
        )
    kind, channels, srgb = _KINDS[number]
    whole = _HEAD.size + _LEVEL.size * count
    if len(data) < whole or at_descriptor + size_descriptor > len(data) or size_descriptor < 28:
        raise MivexError(Message("“{name}” is cut short or damaged; its texels cannot be read.", name=name))
    levels = []
    for k in range(count):
        at, size, _ = _LEVEL.unpack_from(data, _HEAD.size + _LEVEL.size * k)
        w, h = max(1, wide >> k), max(1, high >> k)
        wanted = w * h * channels * np.dtype(kind).itemsize
        if size != wanted or at + size > len(data):
            raise MivexError(Message("“{name}” is cut short or damaged; its texels cannot be read.", name=name))
        levels.append(np.frombuffer(data, f"<{np.dtype(kind).str[1:]}", w * h * channels, at).reshape(h, w, channels))
    flags = data[at_descriptor + 15]
    return Ktx(levels, srgb, bool(flags & 1))

"""A picture as it was read: straight texels, the depth they were stored with, and where from."""

import hashlib
import re
from dataclasses import dataclass
from functools import cached_property
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.messages import Message
from mivex.core.picture.traits import ImageMetadata

Meaning = Literal["colour", "data"]
_DATA_WORDS = {
    "normal",
    "normals",
    "nrm",
    "nor",
    "mask",
    "masks",
    "rough",
    "roughness",
    "metal",
    "metallic",
    "metalness",
    "height",
    "bump",
    "disp",
    "displacement",
    "occlusion",
    "ao",
    "orm",
    "flow",
    "data",
    "gloss",
}

_DIRECTIONS = {"normal", "normals", "nrm", "nor"}
_PACKED = {"orm", "data", "flow", "masks", "mask"}


@dataclass(frozen=True, eq=False)
class Picture:
    """A picture file in memory.

    Attributes
    ----------
    values : float32 array (height, width, 4)
        Straight RGBA as the file held it: display values for integer files,
        linear light where `linear` is true. Row 0 is the top. Alpha is 1
        where the file has none. Grey files repeat their grey.
    channels : int
        Channels in the file, 1 to 4.
    bits : int
        Bits per channel in the file: 8, 16 or 32 (floating point).
    linear : bool
        The file holds linear light (floating-point formats).
    has_alpha : bool
        The file has an alpha channel.
    path : str
        Where it came from; empty for a picture made in memory.
    premultiplied : bool
        The file says that it stores colour multiplied by alpha; `values` are divided by it already.
    """

    values: NDArray[np.float32]
    channels: int = 4
    bits: int = 8
    linear: bool = False
    has_alpha: bool = True
    path: str = ""
    premultiplied: bool = False

    @property
    def width(self) -> int:
        """Width in texels."""
        return int(self.values.shape[1])

    @property
    def height(self) -> int:
        """Height in texels."""
        return int(self.values.shape[0])

    @property
    def traits(self) -> ImageMetadata:
        """What the file says of it; whether it is data, the name and the texels have to tell."""
        return ImageMetadata(has_alpha=self.has_alpha, full=(self.width, self.height))

    @cached_property
    def key(self) -> str:
        """Name of the content, equal for equal texels; used by caches."""
        h = hashlib.blake2b(np.ascontiguousarray(self.values).data, digest_size=16)
        h.update(f"{self.values.shape}{self.linear}{self.has_alpha}".encode())
        return h.hexdigest()


def quantise(values: NDArray[np.float32], bits: int) -> NDArray[np.float32]:
    """Round values to what ``bits`` per channel can hold.

    Parameters
    ----------
    values : float32 array
        Values to be stored; clipped to [0, 1] for integer depths.
    bits : int
        8 or 16; 32 returns the values untouched.

    Returns
    -------
    float32 array of the same shape. Exact: quantising twice changes nothing.
    """
    if bits == 32:
        return values
    top = np.float32((1 << bits) - 1)
    out = np.multiply(values, top, dtype=np.float32)
    np.add(out, np.float32(0.5), out=out)
    np.floor(out, out=out)
    np.clip(out, 0, top, out=out)
    np.divide(out, top, out=out)
    return out


def looks_like_normals(stored: NDArray[np.float32]) -> bool:
    """Whether texels are directions that point out of the picture: unit vectors, by more than chance.

    One colour may happen to have the length of a unit vector, and so may its shades: what counts is that the
    three channels vary together so as to keep that length.

    Parameters
    ----------
    stored : float32 array (height, width, 3 or more)
    """
    n = stored[:: max(1, stored.shape[0] // 64), :: max(1, stored.shape[1] // 64), :3].reshape(-1, 3) * 2 - 1
    if len(n) < 16 or n[:, 2].mean() < 0.6 or float(n[:, :2].std(axis=0).max()) < 0.02:
        return False
    if (np.abs(np.linalg.norm(n, axis=1) - 1) < 0.06).mean() < 0.95:
        return False
    # The same values with blue taken from other texels: what chance alone would give.
    mixed = np.column_stack([n[:, :2], np.roll(n[:, 2], len(n) // 2)])
    off = [np.abs(np.linalg.norm(v, axis=1) - 1).mean() for v in (n, mixed)]
    centred = bool(np.abs(n[:, :2].mean(axis=0)).max() < 0.2)
    return bool(off[0] < 0.5 * off[1] or (centred and off[0] < 0.01))


def _contradicts(picture: Picture, word: str) -> bool:
    """Whether a picture cannot be what its name says: a grey map with colours, a normal map without directions."""
    if picture.channels < 3:
        return False
    if word in _DIRECTIONS:
        return not looks_like_normals(picture.values)
    if word in _PACKED:
        return False
    rgb = picture.values[:: max(1, picture.height // 64), :: max(1, picture.width // 64), :3]
    return float(np.ptp(rgb, axis=-1).mean()) > 0.06


def guess_meaning(picture: Picture) -> tuple[Meaning, str]:
    """Guess whether a picture is colour or data, and say why in a few words.

    A name alone is no proof: what lies in the picture may speak against it.

    Parameters
    ----------
    picture : Picture

    Returns
    -------
    (meaning, reason)
    """
    stem = re.sub(r"\.[^.]*$", "", picture.path.rsplit("/", 1)[-1])
    words = {w.lower() for w in re.split(r"[^A-Za-z0-9]+|(?<=[a-z])(?=[A-Z])", stem) if w}
    hit = sorted(words & _DATA_WORDS)
    if hit and not _contradicts(picture, hit[0]):
        return "data", Message("its name says “{hit}”", hit=hit[0])
    if picture.channels == 1:
        return "data", "it has a single channel"
    if not picture.linear and looks_like_normals(picture.values):
        return "data", "its texels are unit vectors, as in a normal map"
    return "colour", Message(
        "its name says “{hit}”, but its texels do not", hit=hit[0]
    ) if hit else "nothing marks it as data"

"""The kinds of picture file: one row each. Menus, recipes, endings, depths and what is said of them follow.

A row whose ``depths`` are empty is read and never written; a writer stands under its name in
`mivex.core.picture.encode.WRITERS`.
"""

from dataclasses import dataclass
from typing import Literal

StraightFormat = Literal["png", "tga", "tif", "webp", "ktx2"]
FormatName = Literal[StraightFormat, "exr"]


@dataclass(frozen=True)
class PictureFormat:
    """A kind of picture file.

    Attributes
    ----------
    name : str
        Its key in project files and recipes, and the ending of what is written.
    title : str
        What it is called.
    endings : tuple of str
        Those by which files are known, with their dots, in small letters; the usual one first.
    depths : tuple of int
        Bits a channel that it can be written with, the usual one first; 32 are real numbers. Empty: it is only read.
    words : str
        As it stands in a menu; empty: its title.
    reader : str
        OpenImageIO's name of it; empty: one of our own reads it.
    straight : bool
        It holds the colour beneath clear texels; a format of *associated* alpha loses it.
    marks : bool
        The file itself can say that its colour is multiplied by alpha.
    colour_bits : int
        The most bits that encoded colour can have; data may have all depths.
    """

    name: str
    title: str
    endings: tuple[str, ...]
    depths: tuple[int, ...] = ()
    words: str = ""
    reader: str = ""
    straight: bool = True
    marks: bool = False
    colour_bits: int = 32


FORMATS: dict[str, PictureFormat] = {
    f.name: f
    for f in (
        PictureFormat("png", "PNG", (".png",), (8, 16), reader="png"),
        PictureFormat("tga", "TGA", (".tga",), (8,), reader="targa", marks=True),
        PictureFormat("tif", "TIFF", (".tif", ".tiff"), (8, 16), reader="tiff", marks=True),
        PictureFormat("exr", "OpenEXR", (".exr",), (32,), reader="openexr", straight=False, marks=True),
        PictureFormat("webp", "WebP", (".webp",), (8,), "WebP, lossless", reader="webp"),
        PictureFormat("jpg", "JPEG", (".jpg", ".jpeg"), reader="jpeg"),
        PictureFormat("ktx2", "KTX 2", (".ktx2",), (8, 16), "KTX 2, every mip level", marks=True, colour_bits=8),
    )
}
BY_ENDING: dict[str, PictureFormat] = {e: f for f in FORMATS.values() for e in f.endings}
READABLE = tuple(BY_ENDING)
WRITABLE = tuple(e for e, f in BY_ENDING.items() if f.depths)
DEPTHS = {f.name: f.depths for f in FORMATS.values() if f.depths}
TITLES: dict[str, str] = {f.name: f.words or f.title for f in FORMATS.values() if f.depths}


def depth_for(suffix: str, bits: int, *, data: bool = False) -> int:
    """Bits a channel of a file with this ending that holds ``bits``: the fewest that do, or the most that it has."""
    kind = BY_ENDING[suffix]
    depths = [d for d in kind.depths if data or d <= kind.colour_bits]
    return min((d for d in depths if d >= bits), default=max(depths))

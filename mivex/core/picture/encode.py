"""Writing picture files: encoded in memory, then written, read back and put in place by `mivex.core.base.store`.

Every file is the same whenever it is written: no dates, no names of programs.
"""

import contextlib
import io
import os
import struct
import tempfile
import zlib
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError
from mivex.core.base.lazy import Lazy
from mivex.core.base.limits import check_size
from mivex.core.base.messages import InSentence, Message, named, term
from mivex.core.base.store import Batch, check_target
from mivex.core.base.types import Floats
from mivex.core.picture import ktx2
from mivex.core.picture.files import quiet, read_levels, read_picture, read_stored
from mivex.core.picture.formats import BY_ENDING, WRITABLE
from mivex.core.picture.picture import quantise

cv2 = Lazy("cv2")


def check_writable(path: str | Path) -> str:
    """The ending of a picture file that can be written there, in small letters; raises MivexError."""
    suffix = Path(path).suffix.lower()
    if suffix not in WRITABLE:
        raise MivexError(
            Message("“{name}”: pictures are written as {parts}.", name=Path(path).name, parts=named(", ", WRITABLE))
        )
    check_target(path)
    return suffix


def _whole(values: Floats, bits: int) -> NDArray:
    """Values in [0, 1] as the codes that are stored."""
    top = (1 << bits) - 1
    codes = np.clip(values, 0, 1)
    codes *= np.float32(top)
    codes += np.float32(0.5)
    # Rounded to the nearest by adding a half and cutting: one pass, and never below zero.
    return codes.astype(np.uint8 if bits == 8 else np.uint16)


def _plain(page: NDArray) -> NDArray:
    """A page as Pillow wants it: grey without an axis of channels."""
    return np.ascontiguousarray(page[..., 0] if page.shape[2] == 1 else page)


def _png(pages: Sequence[NDArray], data: bool, _premultiplied: bool) -> bytes:
    page = pages[0]
    # The library's order is blue, green, red.
    order = [2, 1, 0, 3][: page.shape[2]] if page.shape[2] > 1 else [0]
    # Level 4 takes half as long as 6, for files a twentieth larger.
    done, raw = cv2.imencode(".png", page[..., order], [cv2.IMWRITE_PNG_COMPRESSION, 4])
    if not done:
        raise MivexError("The picture could not be stored as PNG.")
    made = raw.tobytes()
    if data:
        return made  # data has no colour space, and a chunk that names one would be obeyed
    chunk = b"sRGB\0"
    head = 8 + 25  # signature and IHDR
    # Right behind the header, where the standard wants it; the checksum covers name and content.
    return made[:head] + struct.pack(">I", 1) + chunk + struct.pack(">I", zlib.crc32(chunk)) + made[head:]


def _tga(pages: Sequence[NDArray], _data: bool, premultiplied: bool) -> bytes:
    from PIL import Image

    page, out = pages[0], io.BytesIO()
    Image.fromarray(_plain(page)).save(out, "TGA", compression="tga_rle")
    made = out.getvalue()
    if not premultiplied:
        return made
    # Version 2.0: an extension area of 495 bytes, all unused but its size and the type of alpha.
    area = struct.pack("<H", 495) + bytes(492) + bytes([4])
    # A footer that the library wrote is taken off and written anew behind the extension.
    body = made[:-26] if made.endswith(b"TRUEVISION-XFILE.\0") else made
    return body + area + struct.pack("<II", len(body), 0) + b"TRUEVISION-XFILE.\0"


def _tif(pages: Sequence[NDArray], _data: bool, premultiplied: bool) -> bytes:
    import tifffile

    out = io.BytesIO()
    with tifffile.TiffWriter(out) as tiff:
        for number, page in enumerate(pages):
            extra = (["assocalpha" if premultiplied else "unassalpha"],) if page.shape[2] == 4 else ([],)
            grey = page.shape[2] == 1
            tiff.write(
                page[..., 0] if grey else page,
                photometric="minisblack" if grey else "rgb",
                extrasamples=extra[0],
                compression="zlib",
                metadata=None,
                software=False,
                # Every page after the first is a smaller version of it: then readers show one picture, not several.
                subfiletype=1 if number else 0,
                planarconfig=None if grey else "contig",
                # Strips of a megabyte: readers may take a part without unpacking all.
                rowsperstrip=max(1, min(page.shape[0], (1 << 20) // max(1, page[0].nbytes))),
            )
    return out.getvalue()


def _exr(pages: Sequence[NDArray], _data: bool, _premultiplied: bool) -> bytes:
    import OpenImageIO as oiio

    page = pages[0]
    high, wide, count = page.shape
    spec = oiio.ImageSpec(wide, high, count, "float")
    spec.attribute("compression", "zip")
    spec.attribute("DateTime", "")  # else its library puts in the time of writing
    # Its library writes files only; what it makes is checked and then written like any other.
    with tempfile.TemporaryDirectory(prefix="mivex-") as folder:
        path = os.path.join(folder, "stage.exr")
        with quiet():
            out = oiio.ImageOutput.create(path)
            assert out is not None
            good = out.open(path, spec) and out.write_image(page)
            why = out.geterror().strip().splitlines()
            good = out.close() and good
        if not good:
            raise MivexError(
                Message(
                    "The picture could not be stored as OpenEXR: {why}.",
                    why=term(why[0] if why else "the disk may be full"),
                )
            )
        return Path(path).read_bytes()


def _webp(pages: Sequence[NDArray], _data: bool, _premultiplied: bool) -> bytes:
    from PIL import Image
    # The library writes through a file of its own: what it writes may be a link, a socket or full.

    out = io.BytesIO()
    # Exact: colour under clear texels is kept, which it would not be otherwise.
    page = pages[0]
    page = np.repeat(page, 3, axis=2) if page.shape[2] == 1 else page
    Image.fromarray(np.ascontiguousarray(page)).save(out, "WEBP", lossless=True, exact=True, quality=60)
    return out.getvalue()


def _ktx2(pages: Sequence[NDArray], data: bool, premultiplied: bool) -> bytes:
    return ktx2.encode(ktx2.Ktx(list(pages), not data, premultiplied))


WRITERS: dict[str, Callable[[Sequence[NDArray], bool, bool], bytes]] = {
    "png": _png,
    "tga": _tga,
    "tif": _tif,
    "exr": _exr,
    "webp": _webp,
    "ktx2": _ktx2,
}
"""By the names of `mivex.core.picture.formats.FORMATS`: from pages of codes, whether they are data, and whether colour is
multiplied by alpha, to bytes."""


@dataclass(frozen=True)
class ReadBack:
    """What came back when a picture was read again.

    Attributes
    ----------
    differences : tuple of float
        Largest difference of each channel from what was meant, in codes; of real numbers, as a value.
    levels : int
        Mip levels, or pages, that were compared.
    fresh : bool
        False: the file held exactly this already, and was left alone.
    """

    differences: tuple[float, ...]
    levels: int = 1
    fresh: bool = True


def picture_bytes(kind: str, values: Floats, bits: int = 8, *, data: bool = False) -> bytes:
    """A picture as the bytes of a file of that ending, for what holds pictures inside itself."""
    return WRITERS[BY_ENDING[kind].name]([_whole(np.ascontiguousarray(values, np.float32), bits)], data, False)


def stage_picture(
    batch: Batch,
    path: str | Path,
    values: Floats,
    bits: int = 8,
    *,
    premultiplied: bool = False,
    levels: Sequence[Floats] = (),
    data: bool = False,
) -> ReadBack:
    """Encode a picture, write it beside its place and prove it: decoded again, it holds the same texels.

    Parameters
    ----------
    batch : Batch
        Puts it in place when it is committed.
    path : str or Path
        One of `WRITABLE`.
    values : float32 array (height, width, 1, 3 or 4)
        Integer depths are clipped to [0, 1] and rounded; ``.exr`` takes
        *associated* linear light as its standard asks.
    bits : int
        8 or 16 (TGA, WebP: 8); 32 for ``.exr``.
    premultiplied : bool
        Marks a TIFF's, TGA's or KTX 2 file's colour as multiplied by alpha; the texels are written as given.
    levels : sequence of float32 arrays, optional
        Coarser mip levels, written as further pages of a TIFF, marked as reduced pictures, or as
        levels of a KTX 2 file.
    data : bool
        The values are not colour: a PNG then names no colour space, and a KTX 2 file none that is encoded.

    Raises
    ------
    MivexError
        The file cannot be written, or reading it back gave something else;
        the old file is untouched.
    """
    path = Path(path)
    kind = path.suffix.lower()
    if kind not in WRITABLE:
        raise MivexError(Message("“{name}”: Mivex does not write this kind of file.", name=path.name))
    check_size(values.shape[1], values.shape[0], f"“{path.name}”")
    # Encoded from the codes that are meant, so that the read-back can be compared to the bit.
    pages = [np.ascontiguousarray(v, np.float32) if bits == 32 else _whole(v, bits) for v in (values, *levels)]
    try:
        made = WRITERS[BY_ENDING[kind].name](pages, data, premultiplied)
    except OSError as e:
        raise MivexError(
            Message("“{path}” cannot be written: {strerror}.", path=path, strerror=InSentence(e.strerror or str(e)))
        ) from None
    found: list[tuple[float, ...]] = []

    def verify(beside: Path) -> None:
        back = None
        with contextlib.suppress(MivexError):
            back = _differences(beside, pages, bits, premultiplied and BY_ENDING[kind].marks)
        if back is None or any(back):
            raise MivexError(
                Message(
                    "“{path}” was written, but reading it back gave other texels; it was not put in "
                    # Any difference at all: a file that is nearly right is one that nobody looks at again.
                    "place, and what was there before is untouched.",
                    path=path,
                )
            )
        found.append(back)

    fresh = batch.stage(path, made, verify)
    return ReadBack(found[-1], len(pages), fresh)


def _differences(path: Path, pages: Sequence[NDArray], bits: int, associated: bool) -> tuple[float, ...] | None:
    """Largest difference of each channel over all pages; None: another size, depth or number of channels or pages."""
    page = pages[0]
    count = page.shape[2]
    if path.suffix.lower() == ".ktx2":
        back: list[NDArray] = list(ktx2.decode(path.read_bytes(), path.name).levels)
    elif bits == 32:
        return _light_differences(path, page)
    elif len(pages) > 1:
        back = [_whole(r, bits) for r in read_levels(path)]
    else:
        read = read_picture(path)
        if read.values.shape[:2] != page.shape[:2] or read.has_alpha != (count == 4) or read.bits != bits:
            return None
        values = read.values[..., :count]
        if associated and count == 4:
            # The reader divides what is stored associated; compare what multiplies back to it.
            # Where alpha is zero nothing was divided: the colour stands as it is stored.
            a = values[..., 3:]
            values = np.concatenate([np.where(a > 0, values[..., :3] * a, values[..., :3]), a], axis=2)
            values = quantise(values, bits)
        back = [_whole(values, bits)]
    if [b.shape for b in back] != [p.shape for p in pages]:
        return None
    if all(np.array_equal(b, p) for b, p in zip(back, pages, strict=True)):
        return (0.0,) * count
    rows = [
        np.abs(b.astype(np.int32) - p.astype(np.int32)).reshape(-1, count).max(axis=0)
        for b, p in zip(back, pages, strict=True)
    ]
    return tuple(float(v) for v in np.max(rows, axis=0))


def _light_differences(path: Path, page: NDArray) -> tuple[float, ...] | None:
    """Light is compared as it is stored: divided by alpha it would lose its last bits, or all where alpha is small."""
    back = read_stored(path)
    if back.shape != page.shape:
        return None
    # Also where both are no number; a difference of nothing is still told from equality.
    off = np.where(_same(back, page), 0.0, np.abs(np.nan_to_num(back) - np.nan_to_num(page)) + 1e-30)
    return tuple(float(v) for v in off.reshape(-1, page.shape[2]).max(axis=0))


def _same(a: NDArray, b: NDArray) -> NDArray[np.bool_]:
    return np.asarray((a == b) | (np.isnan(a) & np.isnan(b)))


def write_picture(
    path: str | Path,
    values: Floats,
    bits: int = 8,
    *,
    premultiplied: bool = False,
    levels: Sequence[Floats] = (),
    data: bool = False,
) -> None:
    """Write one picture, proved before it replaces anything; see `stage_picture`."""
    with Batch() as batch:
        stage_picture(batch, path, values, bits, premultiplied=premultiplied, levels=levels, data=data)
        batch.commit()

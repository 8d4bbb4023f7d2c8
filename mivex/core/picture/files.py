"""Reading picture files. The only module that does; `mivex.core.picture.encode` writes them.

Alpha is never associated on the way in: OpenImageIO would otherwise multiply
colour by alpha and lose the colour that hides under transparency.
"""

import contextlib
import os
import sys
import threading
from collections.abc import Iterator
from functools import cache
from pathlib import Path
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError
from mivex.core.base.lazy import Lazy
from mivex.core.base.limits import MAX_SIDE, MAX_TEXELS, WORDS
from mivex.core.base.messages import Message, named, term
from mivex.core.base.paths import check_regular, read_bytes
from mivex.core.picture import ktx2, targa
from mivex.core.picture.formats import BY_ENDING, FORMATS, READABLE
from mivex.core.picture.picture import Picture

oiio = Lazy("OpenImageIO")

_READERS = {f.reader for f in FORMATS.values() if f.reader}
LARGEST_FILE = MAX_TEXELS * 16 + (64 << 20)
"""Bytes of a picture file that is read at all: four channels of 32 bit at the largest size, and some more."""
_HALF = 65504.0
"""Largest half float: no light is brighter."""
_quiet_lock = threading.RLock()


@cache
def _limited() -> None:
    """Say what a damaged header may ask for before Mivex has seen it."""
    oiio.attribute("limits:channels", 64)
    oiio.attribute("limits:imagesize_MB", LARGEST_FILE >> 20)


@contextlib.contextmanager
def quiet() -> Iterator[None]:
    """Keep the C libraries' own chatter off standard error; our sentence says it better."""
    _limited()
    # One at a time: file descriptor 2 belongs to the whole process.
    with _quiet_lock:
        try:
            sys.stderr.flush()
            kept = os.dup(2)
        except (OSError, ValueError, AttributeError):
            yield
            # No standard error to be silenced: a window started by a desktop may have none.
            return
        null = os.open(os.devnull, os.O_WRONLY)
        try:
            os.dup2(null, 2)
            yield
        finally:
            os.dup2(kept, 2)
            os.close(null)
            os.close(kept)


def _check_file(path: str | Path) -> Path:
    path = check_regular(path, LARGEST_FILE, "picture")
    if path.suffix.lower() not in READABLE:
        raise MivexError(
            Message(
                "“{name}” is not a kind of picture Mivex reads ({kinds}).",
                name=path.name,
                kinds=named(", ", (f.title for f in FORMATS.values())),
            )
        )
    return path


def _open(path: Path) -> Any:
    """Open a file that was checked, its alpha left alone; raises MivexError."""
    config = oiio.ImageSpec()
    # Straight alpha is kept straight: the library would else multiply colour by it while reading.
    config.attribute("oiio:UnassociatedAlpha", 1)
    source = None
    with contextlib.suppress(Exception):  # a damaged header's words may be no text at all
        source = oiio.ImageInput.open(str(path), config)
    if source is None:
        _said(oiio)
        raise MivexError(
            Message(
                "“{name}” is broken or not really a {kinds} file.",
                name=path.name,
                kinds=BY_ENDING[path.suffix.lower()].title,
            )
        )
    return source


def _said(where: Any) -> str:
    """What a library last complained of; empty where it did not."""
    try:
        return str(where.geterror())
    except UnicodeDecodeError:
        return "damaged"


def _check_spec(spec: Any, kind: str, path: Path) -> None:
    if spec.width < 1 or spec.height < 1 or spec.nchannels < 1:
        raise MivexError(
            Message("“{name}” holds no texels ({width} × {height}).", name=path.name, width=spec.width, height=spec.height)
        )
    # By what the header says, before any texel is asked for.
    if spec.width * spec.height > MAX_TEXELS or max(spec.width, spec.height) > MAX_SIDE:
        raise MivexError(
            Message(
                "“{name}” is {width} × {height}; Mivex takes {words}.",
                name=path.name,
                width=spec.width,
                height=spec.height,
                words=WORDS,
            )
        )
    if spec.deep:
        raise MivexError(
            Message("“{name}” is a deep OpenEXR, with several samples a texel, which Mivex does not read.", name=path.name)
        )
    if spec.depth > 1:
        raise MivexError(Message("“{name}” is a volume, not a picture.", name=path.name))
    if kind not in _READERS:
        raise MivexError(
            Message("“{name}” is really a {kind} file, which Mivex does not read.", name=path.name, kind=term(kind))
        )


def _associated(path: Path, spec: Any, kind: str) -> bool:
    """Whether colour is stored multiplied by alpha: OpenEXR by definition, TIFF where its tag 338 is 1."""
    if kind == "openexr":
        return True
    if kind != "tiff" or spec.nchannels not in (2, 4):
        return False
    import logging

    import tifffile

    # The tag is what counts; this library tells it apart from what others guess.
    logging.getLogger("tifffile").setLevel(logging.CRITICAL)
    try:
        with tifffile.TiffFile(path) as tiff:
            tag = tiff.pages[0].tags.get(338)  # type: ignore[union-attr]
            kinds = tag.value if tag is not None else ()
            return bool(np.atleast_1d(kinds)[:1].tolist() == [1])
    except Exception:  # a damaged header that the other reader put up with
        return bool(spec.alpha_channel >= 0 and not spec.getattribute("oiio:UnassociatedAlpha"))


def read_picture(path: str | Path) -> Picture:
    """Read a picture file as straight RGBA.

    Parameters
    ----------
    path : str or Path
        PNG (8, 16 bit), TGA, TIFF, OpenEXR, WebP or JPEG.

    Returns
    -------
    Picture
        Integer files give exact multiples of 1/255 or 1/65535, so that writing
        them again gives the same bytes. Files that say that their colour is
        multiplied by alpha (OpenEXR by definition, TIFF with ExtraSamples 1,
        TGA with attributes type 4) are divided by it where it is above zero;
        colour under zero alpha is kept as stored. TIFF whose fourth channel is
        unspecified is straight.

    Raises
    ------
    MivexError
        Missing, empty, broken, truncated, unreadable, no regular file, of the
        wrong kind, or larger than `mivex.core.base.limits` allows.
    """
    path = _check_file(path)
    if path.suffix.lower() == ".ktx2":
        held = ktx2.decode(read_bytes(path, LARGEST_FILE, "picture"), path.name)
        return _arrange(held.levels[0], held.premultiplied and held.levels[0].shape[2] == 4, -1, str(path))
    with quiet():
        source = _open(path)
        try:
            spec, kind = source.spec(), source.format_name()
            _check_spec(spec, kind, path)
            count = min(spec.nchannels, 4)
            # The file's own depth: read as floats, 8-bit codes would come back rounded twice.
            stored = {"uint8": "uint8", "uint16": "uint16"}.get(str(spec.format), "float")
            raw = source.read_image(0, 0, 0, count, stored)
            failed = raw is None or bool(_said(source))
            associated = _associated(path, spec, kind)
        except MivexError:
            raise
        except Exception:
            raise MivexError(Message("“{name}” is broken and cannot be read.", name=path.name)) from None
        finally:
            with contextlib.suppress(Exception):
                source.close()
    if failed:
        raise MivexError(Message("“{name}” is cut short or damaged; its texels cannot be read.", name=path.name))
    texels = np.asarray(raw)
    if kind == "targa":
        # The other reader drops what TGA says of alpha in its extension.
        alpha, associated = targa.extras(path, LARGEST_FILE)
        if alpha is not None and alpha.shape == texels.shape[:2]:
            texels = np.dstack([texels[..., :3], alpha])
    return _arrange(texels, associated, spec.alpha_channel, str(path))


def read_stored(path: str | Path) -> NDArray[np.float32]:
    """The texels of a float picture as they are stored, (height, width, channels): nothing is divided, nothing clipped.

    Raises MivexError where it cannot be read.
    """
    path = _check_file(path)
    with quiet():
        source = _open(path)
        try:
            spec = source.spec()
            _check_spec(spec, source.format_name(), path)
            raw = source.read_image(0, 0, 0, spec.nchannels, "float")
            failed = raw is None or bool(_said(source))
        finally:
            source.close()
    if failed:
        raise MivexError(Message("“{name}” is cut short or damaged; its texels cannot be read.", name=path.name))
    return np.asarray(raw, np.float32)


def _arrange(raw: NDArray, associated: bool, alpha_at: int, path: str) -> Picture:
    """Bring what the reader gave, 1 to 4 channels of any depth, to straight RGBA."""
    count = raw.shape[2]
    bits = {"uint8": 8, "uint16": 16}.get(raw.dtype.name, 32)
    values = np.ones((*raw.shape[:2], 4), np.float32)
    top = np.float32((1 << bits) - 1 if bits != 32 else 1)
    # Two and four channels end with alpha by custom; a named one counts wherever it stands.
    has_alpha = count in (2, 4) or (0 <= alpha_at < count)
    np.divide(raw[..., :1] if count <= 2 else raw[..., :3], top, out=values[..., :3], dtype=np.float32)
    if has_alpha:
        np.divide(raw[..., count - 1], top, out=values[..., 3], dtype=np.float32)
    if bits == 32:
        # Infinite light becomes the brightest there is; what is no number becomes none.
        np.nan_to_num(values, copy=False, nan=0.0, posinf=_HALF, neginf=-_HALF)
        np.clip(values[..., 3], 0, 1, out=values[..., 3])
    if has_alpha and associated:
        a = values[..., 3:]
        # Small alpha may lift colour beyond what a float holds; the clip below brings it back.
        with np.errstate(over="ignore"):
            np.divide(values[..., :3], a, out=values[..., :3], where=a > 0)
        if bits == 32:
            np.clip(values[..., :3], -_HALF, _HALF, out=values[..., :3])
    return Picture(values, count, bits, bits == 32, has_alpha, path, has_alpha and associated)


def read_levels(path: str | Path) -> list[NDArray[np.float32]]:
    """Every page of an integer TIFF as ``(height, width, channels)`` in [0, 1], as stored; raises MivexError."""
    path = _check_file(path)
    pages: list[NDArray[np.float32]] = []
    with quiet():
        source = _open(path)
        try:
            # A page that is larger than half of the one before is another picture, not a level of it.
            while source.seek_subimage(len(pages), 0):
                spec = source.spec()
                before = pages[-1].shape if pages else None
                if before is not None and (spec.width > max(before[1] // 2, 1) or spec.height > max(before[0] // 2, 1)):
                    break  # no mip level of the page before: it is not read
                _check_spec(spec, source.format_name(), path)
                kind = "uint16" if str(spec.format) == "uint16" else "uint8"
                raw = source.read_image(len(pages), 0, 0, spec.nchannels, kind)
                if raw is None:
                    raise MivexError(
                        Message("“{name}” is cut short or damaged; its texels cannot be read.", name=path.name)
                    )
                pages.append(np.asarray(raw, np.float32) / np.float32(255 if kind == "uint8" else 65535))
            _said(source)
        finally:
            source.close()
    return pages

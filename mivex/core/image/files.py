"""Reading and writing picture files. The only module that touches them.

Alpha is never associated on the way in or out: OpenImageIO would otherwise
multiply colour by alpha and lose the colour that hides under transparency.
"""

import contextlib
import os
import sys
import tempfile
import threading
from collections.abc import Callable, Iterator, Sequence
from pathlib import Path

import numpy as np
import OpenImageIO as oiio
from numpy.typing import NDArray

from mivex.core.errors import MivexError
from mivex.core.image.picture import MAX_SIDE, MAX_TEXELS, Picture

READABLE = (".png", ".tga", ".tif", ".tiff", ".exr", ".webp", ".jpg", ".jpeg")
_KINDS = {".png": "PNG", ".tga": "TGA", ".tif": "TIFF", ".tiff": "TIFF", ".exr": "OpenEXR",
          ".webp": "WebP", ".jpg": "JPEG", ".jpeg": "JPEG"}
_OIIO_NAMES = {"png": "PNG", "targa": "TGA", "tiff": "TIFF", "openexr": "OpenEXR", "webp": "WebP",
               "jpeg": "JPEG"}
_quiet_lock = threading.Lock()


@contextlib.contextmanager
def _quiet() -> Iterator[None]:
    """Keep the C libraries' own chatter off standard error; our sentence says it better."""
    with _quiet_lock:
        try:
            sys.stderr.flush()
            kept = os.dup(2)
        except (OSError, ValueError, AttributeError):
            yield
            return
        null = os.open(os.devnull, os.O_WRONLY)
        try:
            os.dup2(null, 2)
            yield
        finally:
            os.dup2(kept, 2)
            os.close(null)
            os.close(kept)


def _check_file(path: Path) -> None:
    name = path.name
    try:
        if path.is_dir():
            raise MivexError(f"“{name}” is a folder, not a picture.")
        if not path.exists():
            raise MivexError(f"There is no file “{path}”.")
        if path.stat().st_size == 0:
            raise MivexError(f"“{name}” is empty (0 bytes).")
        with path.open("rb"):
            pass
    except PermissionError:
        raise MivexError(f"“{name}” cannot be read: permission is denied.") from None
    except OSError as e:
        raise MivexError(f"“{name}” cannot be read: {(e.strerror or str(e)).lower()}.") from None
    if path.suffix.lower() not in READABLE:
        raise MivexError(f"“{name}” is not a kind of picture Mivex reads "
                         "(PNG, TGA, TIFF, OpenEXR, WebP, JPEG).")


def _open(path: Path) -> oiio.ImageInput:
    """Open a file that was checked, its alpha left alone; raises MivexError."""
    config = oiio.ImageSpec()
    config.attribute("oiio:UnassociatedAlpha", 1)
    source = oiio.ImageInput.open(str(path), config)
    if source is None:
        oiio.geterror()
        raise MivexError(f"“{path.name}” is broken or not really a {_KINDS[path.suffix.lower()]} file.")
    return source


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
        them again gives the same bytes. Files whose alpha is associated by
        definition (OpenEXR, TIFF with ExtraSamples 1) are divided by it where
        it is above zero; colour under zero alpha is kept as stored.

    Raises
    ------
    MivexError
        Missing, empty, broken, truncated, unreadable, of the wrong kind, or
        larger than 8192 × 8192 texels.
    """
    path = Path(path)
    _check_file(path)
    with _quiet():
        source = _open(path)
        try:
            spec = source.spec()
            wide, high, count = spec.width, spec.height, spec.nchannels
            if wide < 1 or high < 1 or count < 1:
                raise MivexError(f"“{path.name}” holds no texels ({wide} × {high}).")
            if wide * high > MAX_TEXELS or max(wide, high) > MAX_SIDE:
                raise MivexError(f"“{path.name}” is {wide} × {high}; Mivex takes up to 8192 × 8192 texels "
                                 f"and {MAX_SIDE} on a side.")
            if source.format_name() not in _OIIO_NAMES:
                raise MivexError(f"“{path.name}” is really a {source.format_name()} file, "
                                 "which Mivex does not read.")
            associated = not spec.getattribute("oiio:UnassociatedAlpha")
            associated &= source.format_name() in ("openexr", "tiff")
            kind = str(spec.format)
            stored = {"uint8": "uint8", "uint16": "uint16"}.get(kind, "float")
            raw = source.read_image(0, 0, 0, min(count, 4), stored)
            failed = raw is None
            source.geterror()
        except MivexError:
            raise
        except Exception:
            raise MivexError(f"“{path.name}” is broken and cannot be read.") from None
        finally:
            source.close()
    if failed:
        raise MivexError(f"“{path.name}” is cut short or damaged; its texels cannot be read.")
    return _arrange(np.asarray(raw), associated, spec.alpha_channel, str(path))


def _arrange(raw: NDArray, associated: bool, alpha_at: int, path: str) -> Picture:
    """Bring what the reader gave, 1 to 4 channels of any depth, to straight RGBA."""
    count = raw.shape[2]
    bits = {"uint8": 8, "uint16": 16}.get(raw.dtype.name, 32)
    values = np.ones((*raw.shape[:2], 4), np.float32)
    real = raw.astype(np.float32)
    if bits != 32:
        real /= np.float32((1 << bits) - 1)
    has_alpha = count in (2, 4) or (0 <= alpha_at < count)
    if count <= 2:
        values[..., :3] = real[..., :1]
    else:
        values[..., :3] = real[..., :3]
    if has_alpha:
        values[..., 3] = real[..., count - 1]
    if bits == 32:
        np.nan_to_num(values, copy=False, nan=0.0, posinf=65504.0, neginf=-65504.0)
        np.clip(values[..., 3], 0, 1, out=values[..., 3])
    if has_alpha and associated:
        a = values[..., 3:]
        np.divide(values[..., :3], a, out=values[..., :3], where=a > 0)
    return Picture(values, count, bits, bits == 32, has_alpha, path)


def write_atomic(path: str | Path, fill: Callable[[Path], object]) -> None:
    """Let ``fill`` write a file beside ``path``, then rename it into place.

    Parameters
    ----------
    path : str or Path
        The file to replace or create.
    fill : callable
        Takes the Path of a temporary file with the same suffix and writes it whole.

    Raises
    ------
    MivexError
        The folder is missing or not writable, or the disk is full; the old
        file is then untouched and nothing half written stays behind.
    """
    path = Path(path)
    beside: Path | None = None
    try:
        mode = path.stat().st_mode & 0o777 if path.exists() else None
        handle, name = tempfile.mkstemp(prefix=".mivex-", suffix=path.suffix, dir=path.parent)
        os.close(handle)
        beside = Path(name)
        if mode is None:
            mask = os.umask(0)
            os.umask(mask)
            mode = 0o666 & ~mask
        beside.chmod(mode)
        fill(beside)
        with beside.open("rb") as f:
            os.fsync(f.fileno())
        os.replace(beside, path)
    except OSError as e:
        reason = (e.strerror or str(e)).lower()
        raise MivexError(f"“{path}” cannot be written: {reason}.") from None
    finally:
        if beside is not None:
            beside.unlink(missing_ok=True)


def write_text(path: str | Path, text: str) -> None:
    """Write a UTF-8 text file atomically; raises as `write_atomic` does."""
    write_atomic(path, lambda p: p.write_text(text, encoding="utf-8"))


def _stored(values: NDArray[np.float32], bits: int) -> NDArray:
    if bits == 32:
        return np.ascontiguousarray(values, np.float32)
    top = (1 << bits) - 1
    whole = np.floor(np.clip(values, 0, 1) * np.float32(top) + np.float32(0.5))
    return np.ascontiguousarray(whole.astype(np.uint8 if bits == 8 else np.uint16))


def write_picture(path: str | Path, values: NDArray[np.float32], bits: int = 8, *, premultiplied: bool = False,
                  levels: Sequence[NDArray[np.float32]] = ()) -> None:
    """Write RGBA or RGB texels as they are; nothing is multiplied, nothing dropped.

    Parameters
    ----------
    path : str or Path
        ``.png``, ``.tga``, ``.tif``, ``.tiff`` or ``.exr``.
    values : float32 array (height, width, 3 or 4)
        Integer depths are clipped to [0, 1] and rounded; ``.exr`` takes
        *associated* linear light as its standard asks.
    bits : int
        8 or 16 (TGA: 8); 32 for ``.exr``.
    premultiplied : bool
        Marks a TIFF's alpha as associated; the texels are written as given.
    levels : sequence of float32 arrays, optional
        Coarser mip levels, written as further pages; TIFF only.

    Raises
    ------
    MivexError
        The file cannot be written.
    """
    path = Path(path)
    suffix = path.suffix.lower()
    pages = [_stored(v, bits) for v in (values, *levels)]
    specs = []
    for page in pages:
        high, wide, count = page.shape
        spec = oiio.ImageSpec(wide, high, count, {8: "uint8", 16: "uint16", 32: "float"}[bits])
        if bits != 32 and not (premultiplied and suffix in (".tif", ".tiff")):
            spec.attribute("oiio:UnassociatedAlpha", 1)
        spec.attribute("compression", "rle" if suffix == ".tga" else "zip")
        specs.append(spec)

    def fill(beside: Path) -> None:
        with _quiet():
            out = oiio.ImageOutput.create(str(beside))
            if out is None:
                oiio.geterror()
                raise MivexError(f"“{path.name}”: Mivex does not write this kind of file.")
            good = out.open(str(beside), tuple(specs) if len(specs) > 1 else specs[0])
            for number, page in enumerate(pages):
                if number:
                    good = good and out.open(str(beside), specs[number], "AppendSubimage")
                good = good and out.write_image(page)
            why = out.geterror()
            good = out.close() and good
        if not good:
            tail = why.strip().splitlines()[0] if why.strip() else "the disk may be full"
            raise MivexError(f"“{path}” cannot be written: {tail}.")

    write_atomic(path, fill)


def read_levels(path: str | Path) -> list[NDArray[np.float32]]:
    """Every page of an integer TIFF as ``(height, width, channels)`` in [0, 1], as stored; raises MivexError."""
    path = Path(path)
    _check_file(path)
    pages: list[NDArray[np.float32]] = []
    with _quiet():
        source = _open(path)
        try:
            while source.seek_subimage(len(pages), 0):
                spec = source.spec()
                kind = "uint16" if str(spec.format) == "uint16" else "uint8"
                raw = source.read_image(len(pages), 0, 0, spec.nchannels, kind)
                if raw is None:
                    raise MivexError(f"“{path.name}” is cut short or damaged; its texels cannot be read.")
                pages.append(np.asarray(raw, np.float32) / np.float32(255 if kind == "uint8" else 65535))
            source.geterror()
        finally:
            source.close()
    return pages

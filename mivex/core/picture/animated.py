"""Animated pictures: frames of WebP, GIF and APNG files, and animated WebP written."""

from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError
from mivex.core.base.lazy import Lazy
from mivex.core.base.limits import MAX_TEXELS, check_size
from mivex.core.base.messages import Message
from mivex.core.base.paths import read_bytes, shown
from mivex.core.base.store import write_bytes
from mivex.core.base.types import Floats

cv2 = Lazy("cv2")
ANIMATED = (".webp", ".gif", ".png", ".apng")
LARGEST = 256 << 20
"""Bytes of a file that is opened."""
MOST_FRAMES = 4096
_STARTS = {b"RIFF": "WebP", b"GIF8": "GIF", b"\x89PNG": "PNG"}


def read_frames(path: str | Path) -> tuple[list[Floats], list[float]]:
    """Frames of an animated picture, each (height, width, 4) straight RGBA, and the seconds that each is shown.

    A picture that is not animated has one frame.

    Raises
    ------
    MivexError
        The file is missing, no such picture, broken or too large.
    """
    path = Path(path)
    data = read_bytes(path, LARGEST, "picture")
    if not any(data.startswith(s) for s in _STARTS):
        raise MivexError(Message("“{name}” is no WebP, GIF or PNG file.", name=shown(path.name)))
    try:
        good, found = cv2.imdecodeanimation(np.frombuffer(data, np.uint8))
        frames, durations = (list(found.frames), [float(d) / 1000 for d in found.durations]) if good else ([], [])
    except Exception:  # a broken stream, whatever the library makes of it
        frames, durations = [], []
    if not frames:
        raise MivexError(Message("“{name}” is broken, or holds no frames.", name=shown(path.name)))
    h, w = frames[0].shape[:2]
    check_size(w, h, Message("A frame of “{name}”", name=shown(path.name)))
    if len(frames) > MOST_FRAMES or len(frames) * w * h > 4 * MAX_TEXELS:
        raise MivexError(
            Message(
                "“{name}” has {count} frames of {w} × {h}, which is more than Mivex takes.",
                name=shown(path.name),
                count=len(frames),
                w=w,
                h=h,
            )
        )
    return [_straight(f) for f in frames], durations


def _straight(frame: NDArray[np.uint8]) -> Floats:
    f = frame if frame.ndim == 3 else frame[..., None]
    if f.shape[2] == 1:
        f = np.repeat(f, 3, axis=2)
    alpha = f[..., 3:] if f.shape[2] == 4 else np.full((*f.shape[:2], 1), 255, np.uint8)
    return np.concatenate([f[..., 2::-1], alpha], axis=2).astype(np.float32) / np.float32(255)


def write_webp(path: str | Path, frames: list[NDArray[np.uint8]], fps: float) -> None:
    """Write frames (height, width, 3 or 4) as one animated WebP without loss, which plays for ever.

    Raises
    ------
    MivexError
        The file cannot be written, or the frames are too large for its format.
    """
    h, w = frames[0].shape[:2]
    if max(h, w) > 16383:
        raise MivexError(Message("A WebP has sides to 16383; these frames are {w} × {h}.", w=w, h=h))
    made = cv2.Animation()
    made.frames = [np.ascontiguousarray(f[..., [2, 1, 0, 3] if f.shape[2] == 4 else [2, 1, 0]]) for f in frames]
    ends = np.round(np.arange(1, len(frames) + 1) * 1000 / fps).astype(np.int32)
    made.durations = np.diff(np.concatenate([[0], ends])).astype(np.int32)
    made.loop_count = 0
    good, data = cv2.imencodeanimation(".webp", made, [cv2.IMWRITE_WEBP_QUALITY, 101])
    if not good:
        raise MivexError(Message("“{name}” could not be encoded.", name=shown(Path(path).name)))
    write_bytes(path, bytes(data))

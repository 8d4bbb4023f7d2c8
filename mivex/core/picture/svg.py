"""SVG files to pictures: looked through first, then drawn in a process of its own.

A drawing of a few hundred bytes can ask for any amount of work: a million
letters, groups without end, a pattern larger than memory. What can be seen
beforehand is refused with its limit; what cannot ends a child process, and
never the window.
"""

import base64
import html
import re
import struct
from dataclasses import dataclass, field
from pathlib import Path
from xml.parsers import expat

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError
from mivex.core.base.guarded import BROKEN, run_guarded
from mivex.core.base.lazy import Lazy
from mivex.core.base.limits import fits
from mivex.core.base.messages import Message, term
from mivex.core.base.paths import read_bytes, shown
from mivex.core.base.types import Floats
from mivex.core.picture.lettering import FONT_FOLDER, FONTS
from mivex.core.pixels.colour import to_display, to_linear

cv2 = Lazy("cv2")

LARGEST = 16 << 20
DEEPEST = 64
MOST_ELEMENTS = 100_000
MOST_LETTERS = 20_000
LARGEST_NUMBER = 1e9
LARGEST_INNER = 8192
"""A picture held inside, a pattern or a filter's region may have so many texels or units a side."""
MOST_OCTAVES = 10
MEMORY, SECONDS = 3 << 30, 30
"""Bytes and seconds that one drawing gets."""

_NUMBER = re.compile(r"[+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?")
_CHILD = Path(__file__).with_name("svg_child.py")
_INNER = {"pattern", "filter", "marker"}
_GEOMETRY = {
    "transform",
    "gradientTransform",
    "patternTransform",
    "width",
    "height",
    "x",
    "y",
    "r",
    "rx",
    "ry",
    "cx",
    "cy",
    "viewBox",
    "font-size",
    "stroke-width",
    "stdDeviation",
    "radius",
    "dx",
    "dy",
    "scale",
    "baseFrequency",
    "markerWidth",
    "markerHeight",
    "points",
}


@dataclass
class _Reader:
    """Looks through a drawing once, without building a tree."""

    name: str
    depth: int = 0
    elements: int = 0
    letters: int = 0
    texts: int = 0
    at: int = 0
    root: dict[str, str] = field(default_factory=dict)

    def refuse(self, why: str) -> MivexError:
        return MivexError(Message("“{name}” {why}.", name=self.name, why=term(why)))

    def begin(self, tag: str, attributes: dict[str, str]) -> None:
        local = tag.rsplit(":", 1)[-1]
        self.depth += 1
        self.elements += 1
        if self.elements == 1:
            if local != "svg":
                raise self.refuse("is broken or not really an SVG file")
            self.root = attributes
        if self.depth > DEEPEST:
            raise self.refuse(
                Message("nests its groups more than {deepest} deep, which Mivex does not draw", deepest=DEEPEST)
            )
        if self.elements > MOST_ELEMENTS:
            raise self.refuse(
                Message("has more than {most_elements} parts, which Mivex does not draw", most_elements=MOST_ELEMENTS)
            )
        self.texts += local in ("text", "tspan", "textPath")
        for key, value in attributes.items():
            self.judge(local, key.rsplit(":", 1)[-1], value)

    def judge(self, tag: str, key: str, value: str) -> None:
        if key == "href" and tag != "a":
            self.reference(value.strip())
        if key == "numOctaves" and any(v > MOST_OCTAVES for v in numbers(value, self)):
            raise self.refuse(
                Message(
                    "asks for noise of more than {most_octaves} octaves, which Mivex does not draw",
                    most_octaves=MOST_OCTAVES,
                )
            )
        if key in _GEOMETRY:
            found = numbers(value, self)
            if tag in _INNER and key in ("width", "height") and any(abs(v) > LARGEST_INNER for v in found):
                raise self.refuse(
                    Message(
                        "has a {tag} of more than {largest_inner} units a side, which Mivex does not draw",
                        tag=tag,
                        largest_inner=LARGEST_INNER,
                    )
                )

    def reference(self, value: str) -> None:
        if value.startswith("#") or not value:
            return
        found = re.match(r"data:image/(png|jpe?g|gif|webp)\s*;\s*base64\s*,", value, re.IGNORECASE)
        if not found:
            raise self.refuse("refers to something outside itself; embed it, Mivex draws nothing from other files")
        try:
            raw = base64.b64decode(re.sub(r"\s+", "", value[found.end() :]), validate=False)
        except ValueError:
            raise self.refuse("holds a picture that is broken") from None
        if raw[:4] == b"\x89PNG" and len(raw) >= 24:
            w, h = struct.unpack(">II", raw[16:24])
            if not fits(w, h) or max(w, h) > LARGEST_INNER:
                raise self.refuse(
                    Message(
                        "holds a picture of {w} × {h}; inside a drawing Mivex takes {largest_inner} a side",
                        w=w,
                        h=h,
                        largest_inner=LARGEST_INNER,
                    )
                )

    def end(self, _tag: str) -> None:
        self.depth -= 1

    def text(self, words: str) -> None:
        if self.texts:
            self.letters += len(words)
            if self.letters > MOST_LETTERS:
                raise self.refuse(
                    Message("has more than {most_letters} letters, which Mivex does not draw", most_letters=MOST_LETTERS)
                )

    def entity(self, *_: object) -> None:
        raise self.refuse("declares entities, which Mivex does not follow")


def _quoted(value: str) -> str:
    """An attribute's value as XML wants it, in quotes."""
    safe = html.escape(value, quote=True)
    return '"' + safe.replace("\n", "&#10;").replace("\r", "&#13;").replace("\t", "&#9;") + '"'


def numbers(text: str, reader: _Reader) -> list[float]:
    """Every number in an attribute; refuses those beyond what a drawing can need."""
    found = [float(v) for v in _NUMBER.findall(text)]
    if any(not abs(v) <= LARGEST_NUMBER for v in found):
        raise reader.refuse(
            Message("holds a number beyond {largest_number:.0e}, which Mivex does not draw", largest_number=LARGEST_NUMBER)
        )
    return found


@dataclass(frozen=True)
class Drawing:
    """What was learnt of an SVG while it was looked through.

    Attributes
    ----------
    width, height : float
        In its own units, 96 to the inch.
    root : dict
        The outermost element's attributes.
    head : (int, int)
        Where its start tag stands in the file.
    """

    width: float
    height: float
    root: dict[str, str]
    head: tuple[int, int]


_UNITS = {"mm": 96 / 25.4, "cm": 96 / 2.54, "in": 96.0, "pt": 96 / 72, "pc": 16.0, "Q": 96 / 101.6}
_TAG = re.compile(rb"<[^>\"']*(?:\"[^\"]*\"[^>\"']*|'[^']*'[^>\"']*)*>")


def look_through(data: bytes, name: str) -> Drawing:
    """Check a drawing against the limits.

    Parameters
    ----------
    data : bytes
        UTF-8.
    name : str
        For the sentence.

    Raises
    ------
    MivexError
        It is no SVG, or beyond a limit.
    """
    reader = _Reader(name)
    parser = expat.ParserCreate("utf-8")
    parser.buffer_text = True

    def begin(tag: str, attributes: dict[str, str]) -> None:
        if not reader.elements:
            reader.at = parser.CurrentByteIndex
        reader.begin(tag, attributes)

    parser.StartElementHandler, parser.EndElementHandler = begin, reader.end
    parser.CharacterDataHandler, parser.EntityDeclHandler = reader.text, reader.entity
    try:
        data.decode("utf-8")
        parser.Parse(data, True)
    except UnicodeDecodeError:
        raise reader.refuse("cannot be read: it is not text in UTF-8") from None
    except (expat.ExpatError, ValueError, RecursionError):
        raise reader.refuse("is broken or not really an SVG file") from None

    def side(key: str) -> float:
        found = re.fullmatch(rf"\s*({_NUMBER.pattern})\s*(%|[a-zA-Z]*)\s*", reader.root.get(key, "") or "0")
        if found is None:
            raise reader.refuse(Message("is broken: its {key} is no number", key=key))
        if found.group(2) == "%":
            return 0.0
        return max(0.0, numbers(found.group(1), reader)[0] * _UNITS.get(found.group(2), 1.0))

    wide, high = side("width"), side("height")
    words = re.split(r"[\s,]+", reader.root.get("viewBox", "").strip())
    if words != [""] and not (len(words) == 4 and all(_NUMBER.fullmatch(w) for w in words)):
        raise reader.refuse("is broken: its viewBox does not hold four numbers")
    box = numbers(" ".join(words), reader)
    if len(box) == 4 and box[2] > 0 and box[3] > 0:
        # One side alone keeps the proportion of the box.
        wide, high = (
            wide or (high * box[2] / box[3] if high else box[2]),
            high or (wide * box[3] / box[2] if wide else box[3]),
        )
    if not (1e-6 < wide <= LARGEST_NUMBER and 1e-6 < high <= LARGEST_NUMBER):
        wide = high = 100.0
    tag = _TAG.match(data, reader.at)
    if tag is None:
        raise reader.refuse("is broken or not really an SVG file")
    return Drawing(wide, high, reader.root, tag.span())


def _placed(
    data: bytes, drawing: Drawing, width: int, height: int, fine: int, shift: tuple[float, float], size: float
) -> bytes:
    """The drawing inside a frame of ``width`` × ``height``, ``fine`` units a texel, at a place to any fraction."""
    k = min(width / drawing.width, height / drawing.height) * fine * size
    wide, high = drawing.width * k, drawing.height * k
    root = {n: v for n, v in drawing.root.items() if n not in ("x", "y", "width", "height")}
    root.setdefault("viewBox", f"0 0 {drawing.width!r} {drawing.height!r}")
    root |= {
        "x": repr((width * fine - wide) / 2 + shift[0] * fine),
        "y": repr((height * fine - high) / 2 + shift[1] * fine),
        "width": repr(wide),
        "height": repr(high),
    }
    first, last = drawing.head
    name = re.match(rb"<\s*([^\s/>]+)", data[first:last])
    tag = b"<" + (name.group(1) if name else b"svg")
    tag += "".join(f" {n}={_quoted(v)}" for n, v in root.items()).encode()
    tag += b"/>" if data[first:last].rstrip(b">").rstrip().endswith(b"/") else b">"
    w, h = width * fine, height * fine
    frame = f'<svg xmlns="http://www.w3.org/2000/svg" width="{w}" height="{h}" viewBox="0 0 {w} {h}">'.encode()
    # Text after the outermost element, comments above all, may follow its end: it stays inside the frame.
    return frame + tag + data[last:] + b"</svg>"


def _drawn(text: bytes, size: tuple[int, int], name: str) -> NDArray[np.uint8]:
    """Have a child process draw; ``(height, width, 4)`` codes, blue first, straight."""
    settings = {
        "width": size[0],
        "height": size[1],
        "font_family": "Inter",
        "sans_serif_family": "Inter",
        "font_files": [str(FONT_FOLDER / f"{f}.otf") for f in FONTS.values()],
    }
    code, out = run_guarded(_CHILD, settings, text, memory=MEMORY, seconds=SECONDS, what=name)
    if code == BROKEN:
        raise MivexError(Message("“{name}” is broken or not really an SVG file.", name=name))
    raw = cv2.imdecode(np.frombuffer(out, np.uint8), cv2.IMREAD_UNCHANGED) if out else None
    if raw is None or raw.shape != (size[1], size[0], 4):
        raise MivexError(Message("“{name}” could not be drawn.", name=name))
    return np.asarray(raw, np.uint8)


def svg_size(path: str | Path) -> tuple[float, float]:
    """Width and height of an SVG file in its own units; raises MivexError as `draw_svg` does."""
    path = Path(path)
    drawing = look_through(read_bytes(path, LARGEST, "SVG file"), shown(path.name))
    return drawing.width, drawing.height


def draw_svg(
    path: str | Path, width: int, height: int, fine: int = 4, shift: tuple[float, float] = (0.0, 0.0), size: float = 1.0
) -> Floats:
    """Draw an SVG file into a frame, keeping its proportions, centred.

    Parameters
    ----------
    path : str or Path
    width, height : int
        Of the frame, texels.
    fine : int
        Drawn so many times finer, then averaged; coverage is then right to about 3/255 at 4.
    shift : (x, y)
        Moved so many texels right and down, fractions included; what leaves the frame is cut.
    size : float
        Share of the frame that it fills.

    Returns
    -------
    float32 array (height, width, 4), straight display values.

    Raises
    ------
    MivexError
        The file is missing, too large, not an SVG, beyond a limit of this module, or could not be drawn
        within the memory and time allowed.
    """
    path = Path(path)
    name = shown(path.name)
    data = read_bytes(path, LARGEST, "SVG file")
    drawing = look_through(data, name)
    raw = _drawn(_placed(data, drawing, width, height, fine, shift, size), (width * fine, height * fine), name)
    part = raw.astype(np.float32)
    part /= np.float32(255)
    a = part[..., 3:]
    seen = np.concatenate([to_linear(part[..., 2::-1]) * a, a], axis=2)
    small = cv2.resize(seen, (width, height), interpolation=cv2.INTER_AREA) if fine > 1 else seen
    alpha = small[..., 3:]
    rgb = np.divide(small[..., :3], alpha, out=np.zeros_like(small[..., :3]), where=alpha > 0)
    return np.concatenate([to_display(np.clip(rgb, 0, 1)), alpha], axis=2)

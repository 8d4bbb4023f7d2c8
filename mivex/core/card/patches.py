"""What the test card is made of: overlays with textures of their own, each of which asks a receiver one question."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

import numpy as np

from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.card import layout
from mivex.core.card.layout import BANDS, CELLS, HALF, MARKER, MARKERS, SIDES, STRIPES, TINTS, Rect, cell
from mivex.core.material.material import Finish, Mapping, Material, Normals
from mivex.core.material.sourced import Channel
from mivex.core.picture.lettering import covered, text_edges
from mivex.core.picture.texture import Texture
from mivex.core.picture.traits import ImageMetadata
from mivex.core.pixels.blends import BLENDS, BlendName
from mivex.core.pixels.mips import MipChain
from mivex.core.project.document import Document, Overlay, Source
from mivex.core.stage.camera import Camera
from mivex.core.stage.placements_model import PanelPlace

cv2 = Lazy("cv2")
MIDDLE = (0.0, 1.5, 1.6)
"""Where the middle of the card stands on the stage, metres."""
CAMERA = Camera(name="Card", target=MIDDLE, distance=1.75, fov=34.0, pitch=0.0)
_BOARD = (2048, 1280)
_SIDE = 64
"""Texels a side of small textures: well below any limit that a receiver sets."""
_LEAN = 30.0
"""Degrees by which what asks for bumps leans up and down."""
LEVELS_RECIPE, PLAIN_RECIPE = "levels", "plain"


@dataclass(frozen=True)
class Patch:
    """One overlay of the card.

    Attributes
    ----------
    name : str
        Its overlay's, and so its files'.
    texture : callable
        Makes its picture.
    material : Material
    where : Rect
    off : float
        Metres in front of the card.
    pitch, yaw : float
        Degrees by which it is turned up and round.
    levels : bool
        Its file holds mip levels of its own.
    """

    name: str
    texture: Callable[[], Texture]
    material: Material
    where: Rect
    off: float = 0.01
    pitch: float = 0.0
    yaw: float = 0.0
    levels: bool = False


def _texture(rgb: Floats, alpha: Floats | float = 1.0, **traits: Any) -> Texture:
    h, w = rgb.shape[:2]
    values = np.ones((h, w, 4), np.float32)
    values[..., :3] = rgb
    values[..., 3] = alpha
    return Texture(values, traits=ImageMetadata(data=False).but(**traits))


def _plain(r: float, g: float, b: float, alpha: float = 1.0) -> Callable[[], Texture]:
    return lambda: _texture(np.broadcast_to(np.array([r, g, b], np.float32), (_SIDE, _SIDE, 3)), alpha)


_WHITE = _plain(1, 1, 1)


def _marker(number: int) -> Texture:
    words = cv2.aruco.getPredefinedDictionary(cv2.aruco.DICT_4X4_50)
    made = np.full((_SIDE, _SIDE), 255, np.uint8)
    edge = _SIDE // 8
    made[edge:-edge, edge:-edge] = cv2.aruco.generateImageMarker(words, number, _SIDE - 2 * edge)
    return _texture(np.repeat(made[..., None] / np.float32(255), 3, axis=2))


def _board() -> Texture:
    """Black, with a caption below each cell."""
    w, h = _BOARD
    scale = w / layout.WIDTH
    ink = np.zeros((h, w), np.float32)
    for name, words in CELLS.items():
        at = cell(name)
        edges = text_edges(words, "medium", 21.0)
        edges = edges + np.array([at.x + at.width / 2, at.y + at.height + 0.022] * 2) * scale
        ink = np.maximum(ink, covered(edges, h, w))
    title = text_edges(layout.TITLE, "medium", 34.0) + np.array(layout.TITLE_AT * 2) * scale
    ink = np.maximum(ink, covered(title, h, w))
    return _texture(np.repeat((ink * np.float32(0.72))[..., None], 3, axis=2))


def _bands() -> Texture:
    made = np.zeros((48, 48, 3), np.float32)
    for k, value in enumerate(BANDS):
        made[:, 16 * k : 16 * (k + 1)] = value
    return _texture(made)


def _levels() -> Texture:
    """Red; every smaller level is blue, which no receiver makes of it by itself."""
    red = _texture(np.broadcast_to(np.array([1, 0, 0], np.float32), (_SIDE, _SIDE, 3)), 1.0, weighed=True)
    chain = red.mips
    texels = chain.texels.copy()
    # The levels of the file, put in by hand: no filter could have made blue of red.
    texels[_SIDE * _SIDE :] = (0, 0, 1, 1)
    red.__dict__["mips"] = MipChain(texels, chain.offsets, chain.widths, chain.heights)
    return red


def _chequered(side: int) -> Floats:
    return np.indices((side, side)).sum(axis=0) % 2


def _hidden() -> Texture:
    """Red where it is there, green where it is clear, texel by texel."""
    there = _chequered(_SIDE) == 0
    rgb = np.where(there[..., None], np.array([1, 0, 0]), np.array([0, 1, 0])).astype(np.float32)
    return _texture(rgb, there.astype(np.float32))


def _blocks() -> Texture:
    """Red, green, blue and white in every four by four texels: more than two colours and what lies between them."""
    four = np.zeros((4, 4, 3), np.float32)
    four[:2, :2], four[:2, 2:], four[2:, :2], four[2:, 2:] = (1, 0, 0), (0, 1, 0), (0, 0, 1), (1, 1, 1)
    return _texture(np.tile(four, (_SIDE // 4, _SIDE // 4, 1)))


def _stripes() -> Texture:
    """A strip of eighths; stripes of the k-th are 2^k texels wide, so that a smaller picture holds only the wider ones."""
    longest = SIDES[0]
    made = np.zeros((16, longest, 3), np.float32)
    x = np.arange(longest)
    share = longest // 8
    # The k-th eighth has stripes of twice the width of the one before; halving the picture halves all of them.
    for k in range(8):
        part = slice(k * share, (k + 1) * share)
        made[:, part] = (((x[part] >> k) + 1) % 2)[None, :, None]
    return _texture(made)


def _stretch(at: float, share: float) -> Mapping:
    """The map that lays the part of a picture's width from ``at`` on, ``share`` of it, over the whole patch."""
    return Mapping(across=share, right=0.5 - share / 2 - at)


def _ramp() -> Texture:
    alpha = (np.arange(_SIDE, dtype=np.float32) + np.float32(0.5)) / _SIDE
    return _texture(np.ones((_SIDE, _SIDE, 3), np.float32), np.broadcast_to(alpha, (_SIDE, _SIDE)))


def _white_black() -> Texture:
    """White that is wholly there beside black that is half there."""
    rgb = np.ones((_SIDE, _SIDE, 3), np.float32)
    rgb[:, _SIDE // 2 :] = 0
    alpha = np.where(np.arange(_SIDE) < _SIDE // 2, 1.0, HALF).astype(np.float32)
    return _texture(rgb, np.broadcast_to(alpha, (_SIDE, _SIDE)))


def _two_halves() -> Texture:
    rgb = np.zeros((_SIDE, _SIDE, 3), np.float32)
    rgb[:, : _SIDE // 2, 0] = 1
    rgb[:, _SIDE // 2 :, 2] = 1
    return _texture(rgb)


def _leaning(up: bool) -> Texture:
    """Normals that lean up or down everywhere, green up."""
    angle = np.radians(_LEAN if up else -_LEAN)
    n = np.array([0.0, np.sin(angle), np.cos(angle)], np.float32)
    return _texture(np.broadcast_to(n * np.float32(0.5) + np.float32(0.5), (_SIDE, _SIDE, 3)), data=True, has_alpha=False)


BUMPS = {"bump up": True, "bump down": False}
"""Patches with normals of their own."""


def normals_of(name: str) -> Texture | None:
    """The normal map of a patch; None where it has none."""
    return _leaning(BUMPS[name]) if name in BUMPS else None


def _material(blend: BlendName = "Solid", **more: Any) -> Material:
    b = BLENDS[blend]
    usual = {"blend": blend, "lit": False, "group": b.group, "depth_write": b.writes_depth}
    return Material.model_validate(usual | more)


def _grey(display: float) -> Material:
    return _material(tint=(display, display, display))


def _lit(name: str) -> Material:
    bumps = Normals(source="overlay", overlay=f"{name} normals") if name in BUMPS else Normals()
    return _material(lit=True, tint=(0.7, 0.7, 0.7), finish=Finish(roughness=Channel(value=0.95), normal=bumps))


def patches() -> list[Patch]:
    """Everything on the card, the board first; where order matters, the wrong one comes first in the list on purpose."""
    # In the order of the list the far one is drawn last: who keeps to the list shows it.
    rows = [Patch("board", _board, _material(), Rect(0, 0, layout.WIDTH, layout.HEIGHT), 0.0)]
    rows += [
        Patch(f"marker {n}", lambda n=n: _marker(n), _material(), Rect(x, y, MARKER, MARKER), 0.004)  # type: ignore[misc]
        for n, (x, y) in MARKERS.items()
    ]
    rows += [Patch(f"grey {k}", _WHITE, _grey(t), cell(f"grey {k}")) for k, t in enumerate(TINTS)]
    rows += [Patch("bands", _bands, _material(), cell("bands"))]
    many = _material(tiling=True, mapping=Mapping(across=16, down=16))
    rows += [Patch("levels", _levels, many, cell("levels"), levels=True)]
    for k, side in enumerate(SIDES):
        # Whole stripes from the middle of an eighth on, so that smaller levels keep their places.
        part = _stretch(k / 8 + 1 / 16, STRIPES * 2**k / SIDES[0])
        rows.append(Patch(f"side {side}", _stripes, _material(mapping=part), cell(f"side {side}")))
    rows += [
        Patch("hidden", _hidden, many.model_copy(update=_over("Translucent")), cell("hidden")),
        Patch("blocks", _blocks, _material(mapping=_stretch_both(0.5, 4 / _SIDE)), cell("blocks")),
    ]
    for name, behind in (("over white", 1.0), ("additive", 0.735), ("multiply", 0.5)):
        rows.append(Patch(f"{name} behind", _WHITE, _grey(behind), cell(name), 0.004))
    half_white = _plain(1, 1, 1, HALF)
    rows += [
        Patch("over white", _plain(0, 0, 0, HALF), _material("Translucent"), cell("over white")),
        Patch("over black", half_white, _material("Translucent"), cell("over black")),
        Patch("additive", _plain(1, 1, 1, 77 / 255), _material("Additive"), cell("additive")),
        Patch("multiply", _white_black, _material("Multiply"), cell("multiply")),
        Patch("premultiplied", _added_red, _material("Premultiplied"), cell("premultiplied")),
        Patch("cutout", _ramp, _material("Cutout"), cell("cutout")),
    ]
    red, blue = _plain(1, 0, 0, HALF), _plain(0, 0, 1, HALF)
    see = _material("Translucent")
    first, last = see.model_copy(update={"nudge": -1}), see.model_copy(update={"nudge": 1})
    rows += [
        Patch("order near", red, see, cell("order"), 0.03),
        Patch("order far", blue, see, cell("order")),
        Patch("nudge far", blue, last, cell("nudge")),
        Patch("nudge near", red, first, cell("nudge"), 0.03),
        Patch("write far", blue, last, cell("write")),
        Patch("write near", red, first.model_copy(update={"depth_write": True}), cell("write"), 0.03),
    ]
    rows += [
        Patch("turned up", _WHITE, _lit("turned up"), cell("turned up"), 0.045, pitch=_LEAN),
        Patch("turned down", _WHITE, _lit("turned down"), cell("turned down"), 0.045, pitch=-_LEAN),
        Patch("bump up", _WHITE, _lit("bump up"), cell("bump up")),
        Patch("bump down", _WHITE, _lit("bump down"), cell("bump down")),
        Patch("both faces", _WHITE, _material(both_faces=True), cell("both faces"), yaw=180.0),
        Patch("front face", _WHITE, _material(both_faces=False), cell("front face"), yaw=180.0),
        Patch("repeat", _two_halves, _material(tiling=True, mapping=Mapping(across=2)), cell("repeat")),
        Patch("opacity", _WHITE, _material("Translucent", opacity=0.5), cell("opacity")),
    ]
    return rows


def _over(blend: BlendName) -> dict[str, Any]:
    b = BLENDS[blend]
    return {"blend": blend, "group": b.group, "depth_write": b.writes_depth}


def _stretch_both(at: float, share: float) -> Mapping:
    across = _stretch(at, share)
    return Mapping(across=share, down=share, right=across.right, low=across.right)


def _added_red() -> Texture:
    """Red with no alpha at all: multiplied by alpha already, it is added; taken as straight, it is not there."""
    return _texture(np.broadcast_to(np.array([1, 0, 0], np.float32), (_SIDE, _SIDE, 3)), 0.0, premultiplied=True)


def overlay_of(p: Patch) -> Overlay:
    """The overlay of a patch, standing at its place on the stage."""
    w = p.where
    at = (
        MIDDLE[0] + w.x + w.width / 2 - layout.WIDTH / 2,
        MIDDLE[1] + layout.HEIGHT / 2 - w.y - w.height / 2,
        MIDDLE[2] + p.off,
    )
    place = PanelPlace(id="1", at=at, width=w.width, height=w.height, pitch=p.pitch, yaw=p.yaw)
    return Overlay(
        id=p.name,
        name=f"card {p.name}",
        kind="sprite",
        source=Source(canvas=(_SIDE, _SIDE)),
        material=p.material,
        places=(place,),
    )


def card_document(rows: list[Patch]) -> Document:
    """The card on the stage, with a camera before it."""
    return Document(overlays=tuple(overlay_of(p) for p in rows), cameras=(CAMERA,))

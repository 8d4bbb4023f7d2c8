"""The dock: the solid shapes that overlays are proved against, with surfaces drawn by a seeded hand.

A concrete floor, the plated hull of a small submersible with a porthole and an
intake recess, a crate, a bright wall and a dark one. Colours are dull on
purpose; the light is neutral.
"""

import contextlib
import hashlib
import io
import os
from collections.abc import Callable
from dataclasses import dataclass
from functools import cache
from pathlib import Path

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import MivexError
from mivex.core.base.lazy import Lazy
from mivex.core.base.store import write_bytes
from mivex.core.base.types import Floats
from mivex.core.pixels import shapes
from mivex.core.pixels.colour import DECODE_8
from mivex.core.pixels.mips import build_chain
from mivex.core.pixels.shapes import box, circle, filled, grid, noise, over, segment
from mivex.core.stage.draw import DrawCall, Input, ShadingInputs
from mivex.core.stage.geometry import HULL_FROM, HULL_R, HULL_TO, bow_mesh, crate_mesh, hull_mesh
from mivex.core.stage.mesh import Mesh, quad
from mivex.core.stage.surroundings import FIRST, SOLID, Surroundings

cv2 = Lazy("cv2")

PORTHOLE = (-1.55, 14.0, 0.46)
"""Where the hull has its porthole: metres along, degrees around, radius of the opening in metres."""
INTAKE = (0.55, -16.0, 0.55, 0.34)
"""Where the hull has its intake: metres along, degrees around, half width and half height in metres."""


def _grain(picture: Floats, seed: int, much: float, cell: float = 24) -> Floats:
    h, w = picture.shape[:2]
    return picture * (1 + much * (noise(h, w, cell, seed, tile=True)[..., None] * 2 - 1))


@dataclass(frozen=True, eq=False)
class Skin:
    """What is drawn of one surface.

    Attributes
    ----------
    rgb : float32 array (h, w, 3)
        Display values.
    rough, metal, occlusion : float32 arrays (h, w), or a number
    height : float32 array (h, w), optional
        Texels.
    wraps : bool
        It repeats.
    """

    rgb: Floats
    rough: Floats | float = 0.6
    metal: Floats | float = 0.0
    occlusion: Floats | float = 1.0
    height: Floats | None = None
    wraps: bool = False


def normals_of(height: Floats, wraps: bool) -> Floats:
    """Stored normals ``(n + 1)/2`` of a height in texels, green up."""
    border = cv2.BORDER_REPLICATE
    if wraps:
        height = np.pad(height, 1, mode="wrap")
    dx, dy = (cv2.Scharr(height, cv2.CV_32F, *d, scale=1 / 32, borderType=border) for d in ((1, 0), (0, 1)))
    if wraps:
        dx, dy = dx[1:-1, 1:-1], dy[1:-1, 1:-1]
    n = np.stack([-dx, dy, np.ones_like(dx)], axis=-1)
    return np.asarray(n / np.linalg.norm(n, axis=-1, keepdims=True) * 0.5 + 0.5, np.float32)


def _codes(skin: Skin) -> dict[str, NDArray[np.uint8]]:
    h, w = skin.rgb.shape[:2]
    rough, metal, occlusion = (
        np.broadcast_to(np.asarray(v, np.float32), (h, w)) for v in (skin.rough, skin.metal, skin.occlusion)
    )
    height = np.zeros((h, w), np.float32) if skin.height is None else skin.height
    # Two pictures, not four: metal where a solid needs no alpha, roughness behind the normal.
    found = {
        "colour": np.dstack([skin.rgb * occlusion[..., None], metal]),
        "surface": np.dstack([normals_of(height, skin.wraps), rough]),
    }
    return {k: np.rint(np.clip(v, 0, 1) * 255).astype(np.uint8) for k, v in found.items()}


def _coat(make: Callable[[], Skin]) -> ShadingInputs:
    """The pictures of a surface, drawn anew or taken from the user's cache, where they lie as 8-bit codes."""
    place = _cache_folder() / f"{make.__name__.strip('_')}.npz"
    try:
        with np.load(place) as kept:
            codes = {k: kept[k] for k in kept.files}
    except (OSError, ValueError, EOFError, KeyError):
        codes = _codes(make())
        # Without a cache the dock is only slower to appear.
        with contextlib.suppress(OSError, MivexError):
            place.parent.mkdir(parents=True, exist_ok=True)
            held = io.BytesIO()
            np.savez(held, **codes)  # type: ignore[arg-type]
            write_bytes(place, held.getvalue())

    values = codes["colour"] * np.float32(1 / 255)
    values[..., :3] = DECODE_8[codes["colour"][..., :3]]
    colour, surface = build_chain(values), build_chain(codes["surface"] * np.float32(1 / 255))
    return ShadingInputs(colour, rough=Input(1.0, surface, 3), metal=Input(1.0, colour, 3), normal=surface)


@cache
def _cache_folder() -> Path:
    """Where the drawn surfaces are kept; another folder whenever the code that draws them changes."""
    text = Path(__file__).read_bytes() + Path(shapes.__file__).read_bytes()
    base = os.environ.get("XDG_CACHE_HOME") or os.path.expanduser("~/.cache")
    return Path(base) / "mivex" / f"dock-{hashlib.blake2b(text, digest_size=6).hexdigest()}"


def _flat(h: int, w: int, rgb: tuple[float, float, float]) -> Floats:
    return np.broadcast_to(np.array(rgb, np.float32), (h, w, 3)).copy()


def _floor() -> Skin:
    n = 1024
    y, x = grid(n, n)
    p = _grain(_flat(n, n, (0.47, 0.47, 0.46)), 11, 0.22, 160)
    p = _grain(p, 12, 0.10, 6)
    for k in range(4):
        for d in (np.abs(y - (k * 256 + 2)), np.abs(x - (k * 256 + 2))):
            p = over(p, (0.26, 0.26, 0.26), filled(d.astype(np.float32) - 1.5, 1.5) * np.float32(0.75))
    # A worn guide line, and the shade that hull and crate leave on the ground.
    worn = np.clip(noise(n, n, 30, 13) * 2.2 - 0.45, 0, 1)
    p = over(p, (0.66, 0.58, 0.30), filled(np.abs(y - 590) - 9, 2) * worn)
    metres = 12.0 / n

    def near(d: Floats, half: float) -> Floats:
        return np.maximum(np.abs(d) - half, 0)

    wx, wz = x * metres - 6.0, y * metres - 6.0
    under = np.clip(1 - np.hypot(near(wx + 0.6, 2.6), near(wz + 3.0, 0.7)) / 1.8, 0, 1)
    crate = np.clip(1 - np.hypot(near(wx - 1.75, 0.4), near(wz + 0.1, 0.4)) / 0.4, 0, 1)
    shade = 1 - 0.62 * under**2 - 0.45 * crate**2
    # Puddles lie where the ground is low: dark, and smooth as a mirror.
    low = noise(n, n, 210, 17, octaves=3)
    wet = np.clip((low - 0.68) * 14, 0, 1)
    damp = np.clip((low - 0.58) * 7, 0, 1)
    p = p * (1 - 0.30 * damp - 0.08 * wet)[..., None]
    grit = noise(n, n, 5, 18) * 2 + noise(n, n, 40, 19) * 3
    joint = np.minimum(*(np.abs((a + 128) % 256 - 130) for a in (y, x)))
    height = (grit - 2.5 * filled(joint.astype(np.float32) - 1.5, 2)) * (1 - wet)
    return Skin(p, 0.92 - 0.38 * damp - 0.48 * wet, 0.0, shade, height.astype(np.float32))


def _hull() -> Skin:
    """1024 along by 1536 around; u runs along the axis, v from the top round the front to the bottom."""
    h, w = 1536, 1024
    y, x = grid(h, w)
    along = x / w * (HULL_TO - HULL_FROM) + HULL_FROM
    around = 150 - y / h * 300
    ym = around * np.float32(np.pi / 180 * HULL_R)
    p = _grain(_flat(h, w, (0.69, 0.70, 0.69)), 21, 0.06, 200)
    p = over(p, (0.34, 0.15, 0.12), filled((ym + 1.75) * 200, 3))
    p = over(p, (0.16, 0.17, 0.18), filled(np.abs(ym + 1.72) * 200 - 5, 2))
    px = w / (HULL_TO - HULL_FROM)
    seams = np.minimum(np.abs((along + 0.15) % 1.25 - 0.625) * px, np.abs((ym + 0.35) % 1.5 - 0.75) * px)
    p = over(p, (0.40, 0.41, 0.41), filled(seams - 1.2, 1.5) * np.float32(0.8))
    rivets = np.hypot(seams_offset(along + 0.15, 1.25, px) - 9, ((ym * px) % 22) - 11) - 2.2
    p = over(p, (0.52, 0.53, 0.53), filled(rivets.astype(np.float32), 1.5) * np.float32(0.9))
    streak = np.clip(cv2.GaussianBlur(noise(h, w, 14, 23), (1, 161), 0) * 3.2 - 1.35, 0, 1)
    p = over(p, (0.42, 0.36, 0.28), streak.astype(np.float32) * np.float32(0.28))
    rough = 0.34 + 0.10 * noise(h, w, 60, 24) + 0.35 * streak
    rough = rough + (0.75 - rough) * filled((ym + 1.75) * 200, 3)
    height = -2.2 * filled(seams - 1.2, 2.5) + 1.8 * filled(rivets.astype(np.float32), 3.0)
    s = [p, rough.astype(np.float32), np.zeros((h, w), np.float32), height.astype(np.float32)]
    _port(s, along, ym, px)
    _intake(s, along, ym, px)
    return Skin(s[0], s[1], s[2], 1 - 0.35 * np.clip(-ym / 3.2, 0, 1) ** 2, s[3])


def seams_offset(metres: Floats, pitch: float, px: float) -> Floats:
    """Distance in texels from the middle of a plate seam that repeats every ``pitch`` metres."""
    return (np.abs(metres % pitch - pitch / 2) * px).astype(np.float32)


def _lay(s: list[Floats], rgb: tuple[float, float, float], cover: Floats, rough: float, metal: float) -> None:
    """Lay one material over colour, roughness and metal."""
    s[0] = over(s[0], rgb, cover)
    s[1] = s[1] + (np.float32(rough) - s[1]) * cover
    s[2] = s[2] + (np.float32(metal) - s[2]) * cover


def _port(s: list[Floats], along: Floats, ym: Floats, px: float) -> None:
    """A rubber seal, a brass ring with bolts, and the dark room behind the opening."""
    cx, around, r = PORTHOLE
    cy = np.radians(around) * HULL_R
    d = circle(ym * px, along * px, cy * px, cx * px, 0)
    ring = d - r * px - 12
    _lay(s, (0.13, 0.13, 0.13), filled(np.abs(ring - 2) - 24, 1.5), 0.92, 0.0)
    _lay(s, (0.80, 0.70, 0.50), filled(np.abs(ring - 2) - 14, 1.5), 0.24, 1.0)
    angle = np.arctan2(ym - cy, along - cx)
    bolt = np.hypot(ring - 2, (angle / (2 * np.pi) * 12 % 1 - 0.5) * (2 * np.pi * (r * px + 14) / 12)) - 5
    _lay(s, (0.55, 0.50, 0.42), filled(bolt.astype(np.float32), 1.5), 0.35, 1.0)
    round_ring = np.sqrt(np.clip(1 - ((ring - 2) / 15) ** 2, 0, 1))
    s[3] = s[3] + 9 * round_ring + 3 * filled(np.abs(ring - 2) - 24, 5) + 3 * filled(bolt.astype(np.float32), 3)
    inside = filled(d - r * px, 1.5)
    depth = np.clip((ym - cy + r) / (2 * r), 0, 1)
    room = np.stack([0.055 + 0.05 * depth, 0.065 + 0.055 * depth, 0.075 + 0.06 * depth], axis=-1)
    lamp = np.exp(-(((along - cx - 0.12) / 0.05) ** 2 + ((ym - cy - 0.18) / 0.05) ** 2))
    frame = filled(np.abs(along * px - (cx - 0.16) * px) - 5, 1.5) * np.float32(0.6)
    glow = lamp[..., None] * np.array([0.55, 0.50, 0.40], np.float32)
    room = over(room.astype(np.float32), (0.15, 0.16, 0.17), frame) + glow
    s[0] = s[0] + (room - s[0]) * inside[..., None]
    s[1], s[2] = s[1] + (np.float32(0.9) - s[1]) * inside, s[2] * (1 - inside)


def _intake(s: list[Floats], along: Floats, ym: Floats, px: float) -> None:
    """A steel frame round a dark recess with pipes."""
    cx, around, hw, hh = INTAKE
    cy = np.radians(around) * HULL_R
    d = box(ym * px, along * px, cy * px, cx * px, hh * px, hw * px, 14)
    _lay(s, (0.60, 0.60, 0.60), filled(d - 14, 1.5), 0.38, 1.0)
    s[3] = s[3] + 5 * filled(d - 14, 5)
    deep = np.clip((ym - (cy - hh)) / (2 * hh), 0, 1)
    hole = np.stack([0.05 + 0.05 * deep] * 3, axis=-1).astype(np.float32)
    pipes = (np.sin(along * 26) > 0.55).astype(np.float32) * np.float32(0.5)
    hole = over(hole, (0.14, 0.13, 0.12), cv2.GaussianBlur(pipes, (0, 0), 2))
    inside = filled(d, 1.5)
    s[0] = s[0] + (hole - s[0]) * inside[..., None]
    s[1], s[2] = s[1] + (np.float32(0.8) - s[1]) * inside, s[2] * (1 - inside)


def _bow() -> Skin:
    h, w = 768, 256
    y, x = grid(h, w)
    ym = (150 - y / h * 300) * np.float32(np.pi / 180 * HULL_R)
    p = _grain(_flat(h, w, (0.69, 0.70, 0.69)), 31, 0.06, 120)
    p = over(p, (0.34, 0.15, 0.12), filled((ym + 1.75) * 90, 2))
    p = over(p, (0.40, 0.41, 0.41), filled(np.abs(x - 4) - 1.5, 1.5))
    rough = 0.34 + 0.10 * noise(h, w, 30, 34)
    rough = rough + (0.75 - rough) * filled((ym + 1.75) * 90, 2)
    return Skin(p, rough, 0.0, 1 - 0.35 * np.clip(-ym / 3.2, 0, 1) ** 2)


def _crate() -> Skin:
    n = 512
    y, x = grid(n, n)
    p = _flat(n, n, (0.36, 0.38, 0.34))
    p = _grain(p, 41, 0.16, 60)
    inner = box(y, x, 256, 256, 196, 196, 6)
    p = over(p, (0.27, 0.28, 0.26), filled(np.abs(inner) - 3, 2))
    for a, b in (((70, 70), (442, 442)), ((70, 442), (442, 70))):
        brace = segment(y, x, a, b, 22)
        p = over(p, (0.24, 0.25, 0.23), filled(brace - 5, 3))
        p = over(p, (0.41, 0.43, 0.39), filled(brace, 1.5))
    rim = -box(y, x, 256, 256, 216, 216, 0)
    p = over(p, (0.44, 0.46, 0.42), filled(rim, 1.5))
    corners = np.zeros((n, n), np.float32)
    height = 5 * filled(rim, 6)
    for a, b in (((70, 70), (442, 442)), ((70, 442), (442, 70))):
        height = np.maximum(height, 4 * filled(segment(y, x, a, b, 22), 6))
    for cy in (26, 486):
        for cx in (26, 486):
            corners = np.maximum(corners, filled(box(y, x, cy, cx, 30, 30, 6), 1.5))
            height = height + 2 * filled(circle(y, x, cy, cx, 8), 3)
            p = over(p, (0.55, 0.55, 0.52), filled(box(y, x, cy, cx, 30, 30, 6), 1.5))
            p = over(p, (0.28, 0.28, 0.27), filled(circle(y, x, cy, cx, 8), 1.5))
    wear = np.clip(noise(n, n, 24, 43) * 3 - 1.9, 0, 1)
    worn = wear * filled(np.abs(rim) - 14, 16)
    p = over(p, (0.60, 0.58, 0.55), worn)
    steel = np.maximum(corners, worn).astype(np.float32)
    return Skin(p, 0.55 - 0.25 * steel, steel, 1.0, height.astype(np.float32))


def _wall(rgb: tuple[float, float, float], seed: int, seam: float, rough: float) -> Skin:
    n = 512
    y, x = grid(n, n)
    p = _grain(_flat(n, n, rgb), seed, 0.035, 40)
    line = np.minimum(np.abs(y % 128 - 64), np.abs((x + 64 * (y // 128 % 2)) % 256 - 128))
    height = -1.2 * filled(line - 1.0, 2.5) + 0.6 * noise(n, n, 16, seed + 3, tile=True)
    return Skin(p * (1 - seam * filled(line - 1.0, 1.5))[..., None], rough, 0.0, 1.0, height.astype(np.float32), True)


def _dark_wall() -> Skin:
    return _wall((0.19, 0.20, 0.21), 52, 0.35, 0.45)


def _bright_wall() -> Skin:
    return _wall((0.80, 0.80, 0.79), 51, 0.16, 0.85)


_SOLID_TILING = SOLID.model_copy(update={"tiling": True})


@cache
def dock() -> Surroundings:
    """The dock. Drawn once, the same each time."""

    def at(*rows: tuple[float, float, float]) -> NDArray[np.float64]:
        return np.array(rows, np.float64)

    def solid(name: str, mesh: Mesh, make: Callable[[], Skin], tiling: bool = False) -> DrawCall:
        return DrawCall(name, mesh, _coat(make), _SOLID_TILING if tiling else SOLID, FIRST)

    # Nearest first, as seen from the usual side: what they hide is then never sampled.
    return Surroundings(
        "dock",
        (
            solid("crate", crate_mesh((1.75, 0.41, -0.1), 0.82, 24), _crate),
            solid("bow", bow_mesh(), _bow),
            solid("hull", hull_mesh(), _hull),
            solid("floor", quad(at((-6, 0, -6), (6, 0, -6), (6, 0, 6), (-6, 0, 6))), _floor),
            solid(
                "dark wall",
                quad(at((-5.0, 6.5, 6), (-5.0, 6.5, -5.6), (-5.0, 0, -5.6), (-5.0, 0, 6)), (0, 0, 4.6, 2.6)),
                _dark_wall,
                True,
            ),
            solid(
                "bright wall",
                quad(at((-5.0, 6.5, -5.6), (6, 6.5, -5.6), (6, 0, -5.6), (-5.0, 0, -5.6)), (0, 0, 4.4, 2.6)),
                _bright_wall,
                True,
            ),
        ),
    )

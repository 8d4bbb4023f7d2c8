"""What the stage draws: a mesh, the pictures on it, its material, and when it comes in the order."""

from dataclasses import dataclass, field
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.kept import cached_or_none, memoized_on
from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Doubles, Floats
from mivex.core.material.effects import EROSIONS, LANES
from mivex.core.material.material import Material
from mivex.core.pixels.blends import BLENDS, GROUPS
from mivex.core.pixels.colour import to_linear
from mivex.core.pixels.mips import MipChain, build_chain
from mivex.core.stage.lights import PointLamp
from mivex.core.stage.mesh import Mesh
from mivex.core.stage.records import DRAW, SLOTS

OrderKey = tuple[int, int, float]
_effect = Lazy("mivex.core.stage.kernels.effects")


@dataclass(frozen=True, eq=False)
class Input:
    """One value of a surface: a number, or a channel of a picture.

    Attributes
    ----------
    value : float
        The number; with a picture it multiplies the texel.
    chain : MipChain, optional
    lane : int
        Channel of the picture, 0 to 3.
    invert : bool
        One minus the texel.
    """

    value: float = 1.0
    chain: MipChain | None = None
    lane: int = 0
    invert: bool = False


@dataclass(frozen=True, eq=False)
class ShadingInputs:
    """The pictures on a surface: everything that changes over it.

    Attributes
    ----------
    colour : MipChain
        Linear colour and alpha.
    limits : float32 array (8,), optional
        Least and greatest u, v, u + v, u − v of what is not clear; None: clear parts are not known.
    opacity : Input, optional
        In place of the colour's alpha.
    rough, metal, occlusion : Input
    mask : Input, optional
        What breaks it up, in place of a noise.
    normal : MipChain, optional
        Stored as ``(n + 1)/2``.
    normal_strength : float
    green_up : bool
        The normal's second channel points up the picture.
    glow : (r, g, b)
        Light that the surface gives off, linear.
    glow_chain : MipChain, optional
        Multiplies ``glow``.
    coded : bool
        The colour's texels are display values in the file.
    uv_set : int
    uv_map : ((a, b, c), (d, e, f))
        Rows of the map from the mesh's UVs to the pictures'.
    vectors : (MipChain, float), optional
        Motion vectors between the frames of a sheet in red and green, and the share of a cell that 0 and 1 stand for.
    """

    colour: MipChain
    limits: Floats | None = None
    opacity: Input | None = None
    rough: Input = field(default_factory=lambda: Input(0.6))
    metal: Input = field(default_factory=lambda: Input(0.0))
    occlusion: Input = field(default_factory=lambda: Input(1.0))
    mask: Input | None = None
    normal: MipChain | None = None
    normal_strength: float = 1.0
    green_up: bool = True
    glow: tuple[float, float, float] = (0.0, 0.0, 0.0)
    glow_chain: MipChain | None = None
    coded: bool = True
    uv_set: int = 0
    uv_map: tuple[tuple[float, float, float], tuple[float, float, float]] = ((1.0, 0.0, 0.0), (0.0, 1.0, 0.0))
    vectors: tuple[MipChain, float] | None = None


@dataclass(frozen=True, eq=False)
class DrawCall:
    """One thing to draw.

    Attributes
    ----------
    name : str
    mesh : Mesh
    coat : ShadingInputs
    material : Material
        Blend, depth, faces and the like; what varies over the surface is the coat's.
    order : tuple
        Sorting key: draw group, nudge, minus the distance from the eye.
    transform : float64 array (3, 4), optional
        Brings the mesh to its place.
    mask : MipChain, optional
        For what casts a shadow with holes in it: in its last channel, the share of a texel that is there.
    owner, part : str
        The overlay, and which of its placements; empty for surroundings.
    lamp : PointLamp, optional
        A light that it carries.
    moving : bool
        Particles: they mix with other particles by nature, and lie through each other.
    """

    name: str
    mesh: Mesh
    coat: ShadingInputs
    material: Material
    order: OrderKey
    transform: Doubles | None = None
    mask: MipChain | None = None
    owner: str = ""
    part: str = ""
    lamp: PointLamp | None = None
    moving: bool = False

    @property
    def lit(self) -> bool:
        """Whether light falls on it."""
        return self.material.lit and BLENDS[self.material.blend].covers

    @property
    def before_light(self) -> bool:
        """Drawn before the light is worked out: everything up to the decals."""
        return self.order[0] <= GROUPS.index("Decal")


def refracts(m: Material) -> bool:
    """Whether a material reads what is drawn behind it."""
    return m.glass.reads and BLENDS[m.blend].see_through and m.group != "Decal"


def bits_of(m: Material) -> int:
    """Which effects a material has, as bits."""
    parts = (
        (_effect.RECOLOUR, m.recolour.on),
        (_effect.TONES, m.tones.on),
        (_effect.EROSION, m.erosion.form != "none"),
        (_effect.FLOW, m.flow.strength > 0),
        (_effect.HALO, m.halo.strength > 0),
        (_effect.GLASS, m.glass.on),
        (_effect.REFRACTS, refracts(m)),
        (_effect.BROKEN, m.breakup.amount > 0),
        (_effect.CONTACT, m.contact.distance > 0 and BLENDS[m.blend].see_through),
        (_effect.HASHED, m.blend == "Dithered" and m.dither.by == "surface"),
    )
    return sum(bit for bit, on in parts if on)


def _effects(row: Any, m: Material, *, coded: bool = True, part: str = "", early: bool = False) -> None:
    row["special"] = bits_of(m)
    if early:
        # Nothing is drawn behind it yet that it could read.
        row["special"] &= ~_effect.REFRACTS
    w = m.on_surface
    row["weights"] = w.colour, w.gloss, w.bumps, w.glow
    if not row["special"]:
        return
    lanes = list(LANES)

    def light(rgb: tuple[float, float, float]) -> Floats:
        return to_linear(np.array(rgb, np.float32))

    row["coded"] = coded
    row["recolour"] = [light(getattr(m.recolour, k)) for k in ("red", "green", "blue")]
    t = m.tones
    row["tone_lane"], row["tone_at"], row["tone_soft"] = lanes.index(t.lane), t.at, t.soft
    row["tone_above"], row["tone_below"] = light(t.above), light(t.below)
    e = m.erosion
    row["erosion"] = list(EROSIONS).index(e.form), e.amount, e.soft, ("slider", "tint", "life").index(e.by)
    f = m.flow
    row["flow"] = f.strength, f.scale, f.right * f.time, f.up * f.time, {"none": 0, "top": 1, "bottom": -1}[f.hold]
    row["flow_seed"] = 1 + (int(part) * 101 if f.varied and part.isdigit() else 0)
    row["halo_lane"] = lanes.index(m.halo.lane)
    row["halo"] = light(m.halo.colour) * np.float32(m.halo.strength)
    row["contact"] = m.contact.distance
    g = m.glass
    row["glass"] = g.index, g.edge_index, g.edge_opacity, g.edge_share
    row["edge"] = light(g.edge_colour)
    b = m.breakup
    row["breakup"], row["breakup_seed"] = (b.amount, b.soft, b.scale), b.seed
    row["bend"] = g.thickness, g.body == "solid", g.frost


def limits_of(seen: NDArray[np.bool_]) -> Floats:
    """Eight limits round the texels of a picture that are not clear: least and greatest u, v, u + v, u − v.

    Of the texels' corners; an empty picture has limits that nothing lies between.
    """
    h, w = seen.shape
    rows = np.flatnonzero(seen.any(axis=1))
    if not rows.size:
        return np.array([9, -9, 9, -9, 9, -9, 9, -9], np.float32)
    # Of each row only the outermost texels can touch a limit.
    first = seen[rows].argmax(axis=1)
    last = w - 1 - seen[rows, ::-1].argmax(axis=1)
    left, right, top, low = first / w, (last + 1) / w, rows / h, (rows + 1) / h
    return np.array(
        [
            left.min(),
            right.max(),
            top.min(),
            low.max(),
            (left + top).min(),
            (right + low).max(),
            (left - low).min(),
            (right - top).max(),
        ],
        np.float32,
    )


def shadow_mask(alpha: Floats, material: Material, mask: Input | None = None) -> MipChain:
    """Which share of each texel casts a shadow, as a mip chain of at most 512 texels a side; in its last channel.

    What erosion and break-up, by a noise or by ``mask``, take away casts none.
    """
    import cv2

    a = alpha * np.float32(material.opacity)
    if bits_of(material) & (_effect.EROSION | _effect.BROKEN):
        row = np.zeros(1, DRAW)
        row["tint"], row["mask"]["slot"] = material.opacity, -1
        eats = alpha
        if mask is not None and mask.chain is not None:
            row["mask"]["slot"] = 0
            read = cv2.resize(mask.chain.level(0)[..., mask.lane], alpha.shape[::-1], interpolation=cv2.INTER_LINEAR)
            eats = np.float32(mask.value) * (1 - read if mask.invert else read)
        _effects(row[0], material)
        a = np.empty(alpha.shape, np.float32)
        _effect.alpha_of(row, np.ascontiguousarray(alpha, np.float32), np.ascontiguousarray(eats, np.float32), a)
    there: Floats = a if material.blend == "Dithered" else (a >= np.float32(material.cutoff)).astype(np.float32)
    h, w = there.shape
    scale = 512 / max(h, w)
    if scale < 1:
        there = cv2.resize(there, (max(1, round(w * scale)), max(1, round(h * scale))), interpolation=cv2.INTER_AREA)
    return build_chain(np.repeat(there[..., None], 4, axis=2))


class Records:
    """Draws brought to numbers for the kernels; holds what their addresses point to.

    Parameters
    ----------
    draws : list of DrawCall
    """

    def __init__(self, draws: list[DrawCall]) -> None:
        self.draws = np.zeros(max(1, len(draws)), DRAW)
        self._chains: dict[int, MipChain] = {}
        for i, draw in enumerate(draws):
            # What a draw is in numbers, and the chains that these point to, are the same as long as it is.
            held: tuple[NDArray[Any], dict[int, MipChain]] | None = cached_or_none(draw, "record")  # type: ignore[assignment]
            if held is None:
                self._now: dict[int, MipChain] = {}
                self._fill(self.draws[i], draw)
                held = memoized_on(draw, "record", lambda i=i: (self.draws[i : i + 1].copy(), self._now))  # type: ignore[misc]
            else:
                self.draws[i] = held[0][0]
            self._chains |= held[1]

    def _address(self, chain: MipChain) -> int:
        self._now[id(chain)] = chain
        return int(chain.record.ctypes.data)

    def _fill(self, row: Any, draw: DrawCall) -> None:
        m, coat = draw.material, draw.coat
        slots: list[MipChain] = [coat.colour]

        def slot(chain: MipChain | None) -> int:
            if chain is None:
                return -1
            for i, c in enumerate(slots):
                if c is chain:
                    return i
            slots.append(chain)
            return len(slots) - 1

        row["blend"], row["test"], row["write"] = BLENDS[m.blend].code, m.depth_test, m.depth_write
        row["both"], row["wrap"], row["lit"] = m.both_faces, m.tiling, draw.lit
        row["first"] = m.depth_first and m.depth_test
        row["tinted"], row["decal"] = draw.mesh.tint is not None, m.group == "Decal"
        row["cutoff"], row["bias"], row["slope"] = m.cutoff, m.depth_bias / 1000, m.slope_bias
        row["tint"][:3] = to_linear(np.array(m.tint, np.float32))
        row["tint"][3] = m.opacity
        trims = BLENDS[m.blend].see_through and not m.depth_write and not m.tiling and not bits_of(m)
        if coat.limits is not None and trims:
            row["trimmed"], row["trim"] = 1, coat.limits
        for name in ("rough", "metal", "occlusion", "opacity", "mask"):
            given = getattr(coat, name)
            part = row[name]
            if given is None or given.chain is None:
                part["slot"], part["shift"] = -1, 1.0 if given is None else given.value
            else:
                part["slot"], part["lane"] = slot(given.chain), given.lane
                part["gain"], part["shift"] = (-given.value, given.value) if given.invert else (given.value, 0.0)
        row["normal_slot"], row["normal_strength"] = slot(coat.normal), coat.normal_strength
        row["green"] = 1.0 if coat.green_up else -1.0
        row["glow_slot"], row["glow"] = slot(coat.glow_chain), coat.glow
        row["u"], row["v"] = coat.uv_map
        _effects(row, m, coded=coat.coded, part=draw.part, early=draw.before_light)
        if draw.mesh.facts is not None and draw.mesh.facts[:, 4].any():
            row["special"] |= _effect.FRAMES
            row["trimmed"] = 0
            if coat.vectors is not None:
                row["vectors"], row["vector_scale"] = self._address(coat.vectors[0]), coat.vectors[1]
        assert len(slots) <= SLOTS  # one for each name of `PICTURES`
        row["slots"] = len(slots)
        row["chain"][: len(slots)] = [self._address(c) for c in slots]

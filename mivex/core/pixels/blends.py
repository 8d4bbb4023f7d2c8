"""The seven blends: their factors, equations and usual settings.

References
----------
Porter and Duff (1984), *Compositing Digital Images*; W3C, *Compositing and
Blending Level 1*; Khronos, *glTF 2.0* (``alphaCutoff``); Bayer (1973) for the
ordered matrix.
"""

from dataclasses import dataclass
from typing import Literal

import numpy as np

from mivex.core.base.lazy import Lazy
from mivex.core.base.types import Floats
from mivex.core.pixels.kernels import blend_codes as codes

_kernels = Lazy("mivex.core.pixels.kernels.merge")

BlendName = Literal["Solid", "Cutout", "Dithered", "Translucent", "Premultiplied", "Additive", "Multiply"]
GroupName = Literal["Backdrop", "Solid", "Cutout", "Decal", "Blended", "Front"]
GROUPS: tuple[GroupName, ...] = ("Backdrop", "Solid", "Cutout", "Decal", "Blended", "Front")


@dataclass(frozen=True)
class Blend:
    """How a fragment meets what is already there. All that differs from blend to blend stands here or in `merge4`.

    Attributes
    ----------
    name : str
    code : int
        Number by which kernels know it.
    colour_factors, alpha_factors : (source, destination)
        In words of the equation: ``0``, ``1``, ``As``, ``1-As``, ``Cd``.
    equation, why : str
        As shown to the artist; what it is for.
    group : str
        Usual draw group.
    gltf : str
        ``alphaMode`` as which glTF 2.0 holds it.
    gltf_exact : bool
        Whether that mode has the same equation.
    """

    name: BlendName
    code: int
    colour_factors: tuple[str, str]
    alpha_factors: tuple[str, str]
    equation: str
    why: str
    group: GroupName
    gltf: Literal["OPAQUE", "MASK", "BLEND"]
    gltf_exact: bool = True

    @property
    def see_through(self) -> bool:
        """What lies behind takes part in the result."""
        return self.code >= codes.TRANSLUCENT

    @property
    def writes_depth(self) -> bool:
        """Usual depth write: what nothing is seen through hides what is behind it."""
        return not self.see_through

    @property
    def uses_alpha(self) -> bool:
        """Whether alpha changes the result."""
        return self.code != codes.SOLID

    @property
    def covers(self) -> bool:
        """It can hide what is below; the others are light or a filter, and no light falls on them."""
        return self.code < codes.ADDITIVE


BLENDS: dict[str, Blend] = {
    b.name: b
    for b in (
        Blend(
            "Solid",
            codes.SOLID,
            ("1", "0"),
            ("1", "0"),
            "result = Cs",
            "Alpha is not looked at; the panel is opaque.",
            "Solid",
            "OPAQUE",
        ),
        Blend(
            "Cutout",
            codes.CUTOUT,
            ("1", "0"),
            ("1", "0"),
            "result = Cs   where As ≥ cutoff, else unchanged",
            "Hard edge, exact depth, no sorting: grilles, nets, foliage.",
            "Cutout",
            "MASK",
        ),
        Blend(
            "Dithered",
            codes.DITHERED,
            ("1", "0"),
            ("1", "0"),
            "result = Cs   where As > matrix[x, y], else unchanged",
            "Softness as a fine screen of dots; exact depth, no sorting.",
            "Cutout",
            "BLEND",
            False,
        ),
        Blend(
            "Translucent",
            codes.TRANSLUCENT,
            ("As", "1-As"),
            ("1", "1-As"),
            "result = Cs · As + Cd · (1 − As)",
            "Covers by as much as alpha says: glass, smoke, decals.",
            "Blended",
            "BLEND",
        ),
        Blend(
            "Premultiplied",
            codes.PREMULTIPLIED,
            ("1", "1-As"),
            ("1", "1-As"),
            "result = Cs + Cd · (1 − As)",
            "Colour already holds alpha: filters cleanly, may glow and cover at once.",
            "Blended",
            "BLEND",
            False,
        ),
        Blend(
            "Additive",
            codes.ADDITIVE,
            ("As", "1"),
            ("0", "1"),
            "result = Cs · As + Cd",
            "Only ever brightens: light, sparks, motes. Order does not matter.",
            "Blended",
            "BLEND",
            False,
        ),
        Blend(
            "Multiply",
            codes.MULTIPLY,
            ("Cd", "0"),
            ("0", "1"),
            "result = Cd · (1 − As + Cs · As)",
            "Only ever darkens: stains, soot, tinted film.",
            "Blended",
            "BLEND",
            False,
        ),
    )
}


def commute(a: str, b: str) -> bool:
    """Whether two overlays, blended by these, give the same in either order wherever they meet.

    Sums commute with sums and products with products: ``(Cd + x) + y``, ``(Cd · x) · y``.
    """
    # Sums and products may be taken in any order; an alpha that covers may not.
    return a == b and not BLENDS[a].covers


BAYER: Floats = np.array(
    [
        [0, 32, 8, 40, 2, 34, 10, 42],
        [48, 16, 56, 24, 50, 18, 58, 26],
        [12, 44, 4, 36, 14, 46, 6, 38],
        [60, 28, 52, 20, 62, 30, 54, 22],
        [3, 35, 11, 43, 1, 33, 9, 41],
        [51, 19, 59, 27, 49, 17, 57, 25],
        [15, 47, 7, 39, 13, 45, 5, 37],
        [63, 31, 55, 23, 61, 29, 53, 21],
    ],
    np.float32,
    # In the middle of each of 64 steps: an alpha of 0 never passes, an alpha of 1 always does.
) / 64 + np.float32(1 / 128)
"""Thresholds of the 8×8 ordered matrix (Bayer 1973), each in (0, 1)."""


def blend_one(
    name: str,
    source: tuple[float, float, float, float],
    below: tuple[float, float, float, float],
    cutoff: float = 0.5,
    threshold: float = 0.5,
) -> tuple[float, float, float, float]:
    """Composite one fragment over one pixel, as every picture does.

    Parameters
    ----------
    name : str
        One of `BLENDS`.
    source : (r, g, b, a)
        Linear light; straight, or premultiplied for ``Premultiplied``.
    below : (r, g, b, a)
        What is already there, as a frame buffer holds it.
    cutoff : float
        For ``Cutout``.
    threshold : float
        For ``Dithered``: the matrix value at this pixel.

    Returns
    -------
    (r, g, b, a)
    """
    below_now = np.array(below, np.float32)
    _kernels.merge_one(
        BLENDS[name].code, np.array(source, np.float32), below_now, np.float32(1), np.float32(cutoff), np.float32(threshold)
    )
    r, g, b, a = (float(v) for v in below_now)
    return r, g, b, a

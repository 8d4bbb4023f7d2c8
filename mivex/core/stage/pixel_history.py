"""What a pixel's account holds."""

from dataclasses import dataclass

from mivex.core.base.messages import Message, joined
from mivex.core.base.types import Floats

DRAWN, HIDDEN, CUT, DOTTED, LAYS = range(5)
"""Verdicts: it was drawn; hidden by depth; below the cutoff; not in the dither matrix; it only lays its depth."""


Rgba = tuple[float, float, float, float]


@dataclass(frozen=True)
class FragmentRecord:
    """One fragment.

    Attributes
    ----------
    name : str
        The overlay's name, or what of the surroundings it is.
    owner, part : str
        Id of the overlay and number of its placement; empty for surroundings.
    face : int
        Number of the polygon: tells fragments of one placement apart.
    group, nudge : str, int
    blend : str
    depth : float
        Metres from the eye's plane.
    texel : (u, v)
    level : float
        Mip level that was read.
    colour : (r, g, b, a)
        As it meets the picture: linear, lit, tinted, alpha times opacity.
    factors : (source, destination)
    code : int
        The verdict; see `DRAWN`.
    by : str
        What hides it.
    hides : tuple of str
        What is hidden later because this wrote depth.
    wrote : bool
        It wrote depth.
    after : (r, g, b, a)
        The pixel after it.
    """

    name: str
    owner: str
    part: str
    face: int
    group: str
    nudge: int
    blend: str
    depth: float
    texel: tuple[float, float]
    level: float
    colour: Rgba
    factors: tuple[str, str]
    code: int
    by: str
    hides: tuple[str, ...]
    wrote: bool
    after: Rgba

    @property
    def verdict(self) -> str:
        """What became of the fragment, in words."""
        if self.code == HIDDEN:
            return Message("hidden by {by}", by=self.by)
        if self.code != DRAWN:
            return {CUT: "discarded by cutoff", DOTTED: "discarded by the matrix", LAYS: "lays its depth"}[self.code]
        if self.hides:
            return Message("drawn, wrote depth and so hid {parts}", parts=joined(", ", dict.fromkeys(self.hides)))
        return "drawn, wrote depth" if self.wrote else "drawn"


@dataclass(frozen=True)
class PixelHistory:
    """One pixel.

    Attributes
    ----------
    pixel : (x, y)
    background : (r, g, b, a)
        Where nothing has been drawn.
    set, exact : tuple of FragmentRecord
    """

    pixel: tuple[int, int]
    background: Rgba
    set: tuple[FragmentRecord, ...]
    exact: tuple[FragmentRecord, ...]

    def end(self, order: str = "set") -> Rgba:
        """The pixel's colour at the end."""
        rows = self.set if order == "set" else self.exact
        return rows[-1].after if rows else self.background

    @property
    def elsewhere(self) -> frozenset[int]:
        """Faces of drawn lines that stand at another place in exact order than in the order set."""
        a = [r.face for r in self.set if r.code == DRAWN and r.owner]
        b = [r.face for r in self.exact if r.code == DRAWN and r.owner]
        return frozenset(f for f, g in zip(a, b, strict=False) if f != g) | (set(a) ^ set(b))


def rgba_of(v: Floats) -> Rgba:
    """Four floats of an array."""
    r, g, b, a = (float(x) for x in v)
    return r, g, b, a

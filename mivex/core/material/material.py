"""Material settings of an overlay, with sensible defaults by kind."""

from typing import Literal

from pydantic import BaseModel, ConfigDict

from mivex.core.base.settings import Rgb, setting
from mivex.core.pixels.blends import BLENDS, BlendName, GroupName

Kind = Literal["glass", "decal", "logo", "sprite"]


class Material(BaseModel):
    """How an overlay is drawn."""

    model_config = ConfigDict(frozen=True, extra="allow", allow_inf_nan=False)

    blend: BlendName = setting("Translucent", "Blend", "How the overlay meets what lies behind it.")
    cutoff: float = setting(0.5, "Cutoff", "Cutout keeps texels from this alpha on; lower closes holes, "
                            "higher opens them.", ge=0, le=1)
    opacity: float = setting(1.0, "Opacity", "Multiplies alpha: fades the whole overlay.", ge=0, le=1)
    tint: Rgb = setting((1.0, 1.0, 1.0), "Tint", "Multiplies colour in linear light; white leaves it alone.",
                        widget="colour")
    lit: bool = setting(True, "Lit by the dock", "Shaded like the surfaces around it; off for things that "
                        "shine by themselves.")
    depth_test: bool = setting(True, "Depth test", "Hidden by nearer surfaces; off draws through them.")
    depth_write: bool = setting(False, "Depth write", "Hides what is drawn later behind it, even through "
                                "its clear parts.")
    depth_bias: float = setting(0.0, "Depth bias", "Moves it towards the eye for the depth test only; keeps "
                                "a decal from flickering into its surface.", unit="mm", ge=0, le=1000,
                                drag=(0, 50))
    both_faces: bool = setting(True, "Both faces", "Seen from behind as well.")
    group: GroupName = setting("Blended", "Draw group", "Groups are drawn in this order, whatever the "
                               "distance.")
    nudge: int = setting(0, "Order nudge", "Within its group: higher is drawn later, over the others.",
                         ge=-99, le=99, drag=(-10, 10))
    tiling: bool = setting(False, "Repeat", "Beyond its border the texture repeats; off holds the border "
                           "texel.")


def default_material(kind: Kind) -> Material:
    """Usual settings for a kind of overlay."""
    if kind in ("decal", "logo"):
        return Material(group="Decal", depth_bias=8.0, both_faces=False)
    if kind == "glass":
        return Material()
    return Material(lit=False)


def with_blend(material: Material, blend: BlendName) -> Material:
    """Change the blend and carry along what is usual for it.

    Depth write and draw group follow only where they stand at what is usual
    for the present blend; what the artist has set by hand stays. A see-through
    decal keeps its group.
    """
    old, new = BLENDS[material.blend], BLENDS[blend]
    change: dict[str, object] = {"blend": blend}
    if material.depth_write == old.writes_depth:
        change["depth_write"] = new.writes_depth
    if material.group == old.group:
        change["group"] = new.group
    return material.model_copy(update=change)

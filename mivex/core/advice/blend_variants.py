"""What if: one overlay under all seven blends, over bright, mid and dark places of the stage."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.errors import Stopped
from mivex.core.base.messages import Message, joined
from mivex.core.material.material import Material, with_blend
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import BLENDS, BlendName
from mivex.core.project.document import Document, Overlay
from mivex.core.project.variants import synced
from mivex.core.scene.draw_calls import draw_list
from mivex.core.stage.camera import View
from mivex.core.stage.looks import display_codes
from mivex.core.stage.mesh import Mesh
from mivex.core.stage.passes import draw_all

PLACES = ("Over bright", "Over middling", "Over dark")


@dataclass(frozen=True, eq=False)
class BlendVariant:
    """An overlay under one blend.

    Attributes
    ----------
    blend : str
    crops : tuple of uint8 arrays (side, side, 3)
        At the places of `PLACES`.
    differs : float
        Mean difference from the present look over the crops, in codes.
    cost : Cost
    """

    blend: BlendName
    crops: tuple[NDArray[np.uint8], ...]
    differs: float
    cost: "Cost"


@dataclass(frozen=True)
class Cost:
    """What a fragment of a material costs.

    Attributes
    ----------
    reads : int
        Texel fetches: eight of each picture that is read trilinearly.
    arithmetic : int
        Multiplications and additions, about.
    reads_frame : bool
        The picture below is read back to blend.
    sorts : bool
        It has to be brought into order.
    """

    reads: int
    arithmetic: int
    reads_frame: bool
    sorts: bool

    def words(self) -> str:
        """The cost as the artist reads it: texture reads, operations, sorting."""
        more = [w for w, on in (("blends", self.reads_frame), ("sorted", self.sorts)) if on]
        return Message("{reads} reads · {arithmetic} ops", reads=self.reads, arithmetic=self.arithmetic) + (
            Message(" · {parts}", parts=joined(", ", more)) if more else ""
        )


LIT_OPS, LIT_READS = 160, 36
"""GGX with a prefiltered environment, table and soft shadow: what `lit4` does."""
SAMPLE_OPS = 42
"""Level and seven interpolations of four channels of one picture."""


EFFECT_OPS = {"recolour": 15, "tones": 14, "erosion": 8, "flow": 70, "halo": 7, "glass": 30, "contact": 8}


def cost_of(material: Material, texture: Texture | None) -> Cost:
    """What a fragment costs: pictures read, arithmetic, whether it blends and has to be sorted.

    Parameters
    ----------
    material : Material
    texture : Texture, optional
        The overlay's own; its channels are pictures too.
    """
    m = material
    lit = m.lit and BLENDS[m.blend].covers
    own = set(texture.channels) if texture is not None else set()
    pictures: set[tuple[str, str]] = set()
    for name, part in dict(m.finish).items():
        light_only = name in ("roughness", "metal", "occlusion", "normal")
        if light_only and not lit:
            continue
        if part.source == "number":
            kept = "emissive" if name == "glow" else name
            if kept in own:
                pictures.add(("own", "packed" if kept in ("roughness", "metal", "occlusion") else kept))
            elif name == "colour":
                pictures.add(("own", ""))
        else:
            pictures.add((part.source, part.overlay or part.path))
    on = [
        name
        for name, there in {
            "recolour": m.recolour.on,
            "tones": m.tones.on,
            "erosion": m.erosion.form != "none",
            "flow": m.flow.strength > 0,
            "halo": m.halo.strength > 0,
            "glass": m.glass.on,
            "contact": m.contact.distance > 0,
        }.items()
        if there
    ]
    blend = BLENDS[m.blend]
    bumpy = lit and (m.finish.normal.source != "number" or "normal" in own)
    ops = (
        SAMPLE_OPS * len(pictures)
        + 4
        + (8 if blend.see_through else 1)
        + (LIT_OPS if lit else 0)
        + (40 if bumpy else 0)
        + sum(EFFECT_OPS[k] for k in on)
    )
    reads = 8 * len(pictures) + (LIT_READS if lit else 0) + ("contact" in on)
    return Cost(reads, ops, blend.see_through, blend.see_through and blend.covers)


def _side(covered: NDArray[np.bool_]) -> int:
    """Pixels of a crop that holds the largest piece of what is covered with a margin."""
    import cv2

    count, _, stats, _ = cv2.connectedComponentsWithStats(covered.astype(np.uint8))
    if count < 2:
        return 96
    largest = stats[1:][np.argmax(stats[1:, cv2.CC_STAT_AREA])]
    wanted = round(1.3 * max(largest[cv2.CC_STAT_WIDTH], largest[cv2.CC_STAT_HEIGHT]))
    return int(min(max(wanted, 40), 192, *covered.shape))


def _spots(below: NDArray[np.uint8], covered: NDArray[np.bool_], side: int) -> list[tuple[int, int]]:
    """Corners of crops over bright, mid and dark places that the overlay covers."""
    import cv2

    h, w = covered.shape
    grey = below.astype(np.float32) @ np.array([0.2126, 0.7152, 0.0722], np.float32)
    there = cv2.blur(covered.astype(np.float32), (side, side))
    mean = cv2.blur(grey, (side, side))
    best = float(there.max())
    if best <= 0:
        return [(max(0, (h - side) // 2), max(0, (w - side) // 2))] * 3
    usable = there >= 0.75 * best
    found = mean[usable]
    rows = []
    for aim in (float(found.max()), (float(found.max()) + float(found.min())) / 2, float(found.min())):
        score = np.where(usable, np.abs(mean - aim), np.inf)
        y, x = np.unravel_index(int(np.argmin(score)), score.shape)
        rows.append((int(np.clip(y - side // 2, 0, max(h - side, 0))), int(np.clip(x - side // 2, 0, max(w - side, 0)))))
    return rows


def blend_variants(
    doc: Document,
    overlay: Overlay,
    textures: Mapping[str, Texture],
    view: View,
    meshes: Mapping[str, Mesh] | None = None,
    stop: Callable[[], bool] = lambda: False,
) -> list[BlendVariant]:
    """The overlay under each blend, with what is usual for the blend carried along.

    Parameters
    ----------
    doc : Document
    overlay : Overlay
    textures, meshes : mappings
        As for drawing.
    view : View
    stop : callable
        Asked before each blend; true raises Stopped.
    """

    def picture(material: Material | None) -> NDArray[np.uint8]:
        rows = tuple(
            o.model_copy(update={"shown": material is not None, "material": material or o.material})
            if o.id == overlay.id
            else o
            for o in doc.overlays
        )
        # Variants that follow the overlay change with it, as they will when the blend is taken.
        draws = draw_list(synced(doc, doc.model_copy(update={"overlays": rows})), textures, view, meshes)
        return display_codes(draw_all(draws, view, doc.lighting), doc.lighting)

    without, now = picture(None), picture(overlay.material)
    covered = (now != without).any(axis=2)
    side = _side(covered)
    spots = _spots(without, covered, side)
    out = []
    for name in BLENDS:
        if stop():
            raise Stopped
        codes = picture(with_blend(overlay.material, name))  # type: ignore[arg-type]
        crops = tuple(codes[y : y + side, x : x + side].copy() for y, x in spots)
        before = [now[y : y + side, x : x + side] for y, x in spots]
        apart = float(
            np.mean([np.abs(a.astype(np.int16) - b.astype(np.int16)).mean() for a, b in zip(crops, before, strict=True)])
        )
        made = with_blend(overlay.material, name)  # type: ignore[arg-type]
        out.append(BlendVariant(name, crops, apart, cost_of(made, textures.get(overlay.id))))  # type: ignore[arg-type]
    return out

"""From an overlay to the channels of its files: every value as its material reads it."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, replace

import numpy as np

from mivex.core.base.errors import MivexError
from mivex.core.base.lazy import Lazy
from mivex.core.base.messages import Message
from mivex.core.base.types import Floats
from mivex.core.deliver.display_alpha import ADAPTED, alpha_for_display
from mivex.core.material.sourced import CHANNEL_NAMES
from mivex.core.picture.picture import Picture, quantise
from mivex.core.picture.texture import Texture
from mivex.core.picture.traits import ImageMetadata
from mivex.core.pixels.colour import luminance, to_display, to_linear
from mivex.core.pixels.outline import trace
from mivex.core.prepare import spread
from mivex.core.prepare.base import Context, Surface
from mivex.core.prepare.resample import resized
from mivex.core.prepare.weighing import premultiply, unpremultiply
from mivex.core.project.channel_textures import PACKED
from mivex.core.project.delivery import COLOUR_ALPHA, Feed, FilePlan
from mivex.core.project.document import Document, Overlay
from mivex.core.scene.material_binding import Pictures
from mivex.core.sheet.flow import vector_picture

cv2 = Lazy("cv2")
SPREAD = 8.0
"""Texels from the outline at which a signed distance ends."""


@dataclass(frozen=True, eq=False)
class Plane:
    """One channel on its way.

    Attributes
    ----------
    values : float32 array (height, width), or (1, 1)
        In [0, 1]; colours as display values.
    varies : bool
        It comes from a picture; a number for the whole surface does not.
    """

    values: Floats
    varies: bool = True


def _number(value: float) -> Plane:
    return Plane(np.full((1, 1), value, np.float32), False)


class Surfaces:
    """Gives the channels of a project's overlays.

    Parameters
    ----------
    doc : Document
    texture_of : callable
        The texture of an overlay at full size; may raise MivexError or Stopped.
    others : mapping
        Textures that materials read besides the overlay's own, by overlay id and
        `mivex.core.scene.material_binding.file_key`.
    mask_of : callable
        The mask of an overlay's layer, by its number from the lowest up, (h, w); raises MivexError.
    height_of : callable
        The heights of an overlay, about one half, (h, w), or None.
    """

    def __init__(
        self,
        doc: Document,
        texture_of: Callable[[Overlay], Texture],
        others: Mapping[str, Texture],
        mask_of: Callable[[Overlay, int], Floats],
        height_of: Callable[[Overlay], Floats | None],
    ) -> None:
        self.doc, self.texture_of, self.others = doc, texture_of, others
        self._mask_of, self._height_of = mask_of, height_of

    def _meant(self, overlay: Overlay, feed: Feed) -> Overlay:
        if not feed.overlay:
            return overlay
        found = [o for o in self.doc.overlays if feed.overlay in (o.id, o.name)]
        if not found:
            raise MivexError(
                Message(
                    "“{name}”: its delivery reads the overlay “{overlay}”, which is not there.",
                    name=overlay.name,
                    overlay=feed.overlay,
                )
            )
        return found[0]

    def plane(self, overlay: Overlay, feed: Feed, *, green_down: bool = False) -> Plane:
        """What a feed gives for an overlay; raises MivexError."""
        made = self._plane(self._meant(overlay, feed), feed, green_down)
        return replace(made, values=1 - made.values) if feed.invert else made

    def _plane(self, o: Overlay, feed: Feed, green_down: bool) -> Plane:
        name, finish = feed.take, o.material.finish
        if name == "number":
            return _number(feed.value)
        pictures = Pictures(self.texture_of(o), self.others)
        own = pictures.own
        if name in ("red", "green", "blue", "grey"):
            colour = pictures.texture(finish.colour, "colour") or own
            if name == "grey":
                # Grey is luminance in light, stored as a display value; of data it is the plain mean by the same
                # weights.
                light = colour.values[..., :3] if colour.data else to_linear(colour.values[..., :3])
                grey = luminance(light)[..., None]
                return Plane((grey if colour.data else to_display(grey))[..., 0])
            return Plane(colour.values[..., ("red", "green", "blue").index(name)])
        if name == "opacity":
            return self._lane(pictures, "opacity", o)
        if name == "distance":
            # Two texels beyond where it ends, so that its last step is not cut.
            d = trace(np.ascontiguousarray(self._full(self._lane(pictures, "opacity", o), own)), SPREAD + 2, 0.5).distance
            return Plane(np.clip(np.float32(0.5) - d / np.float32(2 * SPREAD), 0, 1))
        if name in PACKED:
            return self._lane(pictures, name, o)
        if name in ("vector_x", "vector_y"):
            # Nothing moves where there are no frames: ½ stands for no motion.
            if len(own.traits.cells) < 2 or not o.sheet.vectors:
                return _number(0.5)
            return Plane(vector_picture(own, o.sheet.play).values[..., int(name == "vector_y")])
        if name == "height":
            found = self._height_of(o)
            return _number(0.5) if found is None else Plane(found)
        if name == "mask":
            found = self._mask_of(o, feed.layer)
            return Plane(found, found.size > 1)
        which = "xyz" if name.startswith("normal") else ["red", "green", "blue"]
        k = list(which).index(name.split("_")[1])
        if name.startswith("normal"):
            source = pictures.texture(finish.normal, "data") or own.channels.get("normal")
            if source is None:
                return _number((0.5, 0.5, 1.0)[k])
            # A picture's green may point down; what layers give points up.
            down = finish.normal.source != "number" and finish.normal.green == "down"
            values = source.values[..., k]
            return Plane(1 - values if k == 1 and down != green_down else values)
        glow = pictures.texture(finish.glow, "colour") or own.channels.get("emissive")
        return _number(1.0 if finish.glow.strength else 0.0) if glow is None else Plane(glow.values[..., k])

    @staticmethod
    def _lane(pictures: Pictures, name: str, o: Overlay) -> Plane:
        part = getattr(o.material.finish, name)
        own = pictures.own.channels.get(name)
        if own is not None and part.source == "number":
            return Plane(own.values[..., PACKED[name]])
        texture = pictures.texture(part, "data")
        if texture is None:
            return _number(part.value)
        values = texture.values[..., list(CHANNEL_NAMES).index(part.channel)]
        values = 1 - values if part.invert else values
        return Plane(values * np.float32(part.value) if part.value != 1 else values)

    @staticmethod
    def _full(plane: Plane, like: Texture) -> Floats:
        return np.broadcast_to(plane.values, (like.height, like.width)) if plane.values.size == 1 else plane.values

    def file(self, overlay: Overlay, plan: FilePlan, bits: int) -> Texture | None:
        """One file of an overlay as a texture; None where nothing varies in it and it need not be there.

        Parameters
        ----------
        overlay : Overlay
        plan : FilePlan
        bits : int
            8 or 16; 32: values are left as they are.

        Raises
        ------
        MivexError
            Something that it reads is not there.
        """
        own = self.texture_of(overlay)
        # Files that hold their mip levels: these are averaged by what is seen of each texel.
        levels = (overlay.delivery.format if plan.format == "own" else plan.format) == "ktx2"
        # Its own picture is data where its source is, whatever the recipe says of others.
        data = plan.holds == "data" or (own.data and self._is_own(overlay, plan))
        for_display = adapted(overlay, plan, data or own.premultiplied)
        spreads = plan.hidden == "spread" and _has_edges(plan) and not own.premultiplied
        if (
            self._is_own(overlay, plan)
            and data == own.data
            and bits in {own.bits, 32}
            and not plan.size
            and not for_display
            # The very texture, with no rounding of its own, where the file is nothing but the overlay's picture.
            and not spreads
        ):
            return (
                Texture(own.values, traits=own.traits.but(weighed=levels), bits=own.bits, key=own.key)
                if own.traits.weighed != levels
                else own
            )
        planes = [self.plane(overlay, plan.channels[k], green_down=plan.green == "down") for k in plan.lanes]
        if not plan.always and not any(p.varies for p in planes):
            return None
        sizes = [p.values.shape for p in planes if p.values.size > 1] or [(own.height, own.width)]
        # Packed channels of several sizes: the largest, so that none of them loses detail.
        h, w = max(sizes, key=lambda s: s[0] * s[1])
        lanes = [_sized(p.values, h, w) for p in planes]
        if len(lanes) == 1:
            # One channel becomes a grey picture, which every reader knows.
            lanes *= 3
        solid = len(lanes) == 3
        if solid:
            lanes.append(np.ones((h, w), np.float32))
        values = np.ascontiguousarray(np.stack(lanes, axis=2), np.float32)
        traits = own.traits.but(
            data=data,
            has_alpha=not solid,
            weighed=levels and not solid,
            coverage=own.coverage if self._is_own(overlay, plan) else 0.0,
            premultiplied=own.premultiplied and plan.fed_by("red", "green", "blue"),
        )
        if plan.size and plan.size < max(h, w):
            values, traits = _smaller(values, plan.size, traits)
        if spreads:
            values = spread.run(Surface(values, data), spread.Spread(), Context(_no_file)).values
        if for_display:
            values[..., 3] = alpha_for_display(values, overlay.material.blend)
        return Texture(quantise(np.clip(values, 0, 1), bits), traits=traits, bits=min(bits, 16))

    @staticmethod
    def _is_own(overlay: Overlay, plan: FilePlan) -> bool:
        """Whether a file is the overlay's own texture, as it is."""
        f = overlay.material.finish
        plain = f.opacity.source == "own" and f.opacity.channel == "alpha" and not f.opacity.invert and f.opacity.value == 1
        return plan.channels == COLOUR_ALPHA and f.colour.source == "own" and plain


def adapted(overlay: Overlay, plan: FilePlan, as_stored: bool) -> bool:
    """Whether alpha is made for sums of display values; ``as_stored``: of data, or of colour that holds its alpha."""
    if as_stored or plan.alpha_for != "display" or "alpha" not in plan.channels:
        return False
    return plan.channels["alpha"].take == "opacity" and overlay.material.blend in ADAPTED


def _no_file(_path: str) -> Picture:
    raise MivexError("a delivery reads no further picture.")  # no step that it runs asks for one


def _has_edges(plan: FilePlan) -> bool:
    """Whether a file holds colour beside the opacity that belongs to it."""
    return "alpha" in plan.channels and plan.channels["alpha"].take == "opacity" and plan.fed_by("red", "green", "blue")


def _sized(values: Floats, h: int, w: int) -> Floats:
    if values.shape == (h, w):
        return values
    if values.size == 1:
        return np.broadcast_to(values, (h, w))
    return resized(np.ascontiguousarray(values)[..., None], w, h, "area")[..., 0]


def _smaller(values: Floats, side: int, traits: ImageMetadata) -> tuple[Floats, ImageMetadata]:
    """A smaller picture, colour weighed by alpha in linear light unless it is multiplied already."""
    h, w = values.shape[:2]
    k = side / max(h, w)
    to = max(1, round(w * k)), max(1, round(h * k))
    if traits.premultiplied or not traits.has_alpha:
        light = values if traits.data else np.concatenate([to_linear(values[..., :3]), values[..., 3:]], axis=2)
        small = np.clip(resized(light, *to, "area"), 0, 1)
        if not traits.data:
            small = np.concatenate([to_display(small[..., :3]), small[..., 3:]], axis=2)
        return small.astype(np.float32), traits
    hidden = cv2.resize(values, to, interpolation=cv2.INTER_NEAREST).reshape(to[1], to[0], 4)
    return unpremultiply(resized(premultiply(values, traits), *to, "area"), hidden, traits.data), traits

"""From a material and the pictures that it reads to the coat of a surface, and to its place in the order."""

from collections.abc import Mapping
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.kept import memoized_on
from mivex.core.base.types import Floats
from mivex.core.layers.heights import normals_of
from mivex.core.material.material import Mapping as MaterialMapping
from mivex.core.material.material import Material
from mivex.core.material.sourced import CHANNEL_NAMES, Channel, Sourced
from mivex.core.picture.texture import Texture
from mivex.core.picture.traits import FrameRect
from mivex.core.pixels.blends import GROUPS
from mivex.core.pixels.colour import to_linear
from mivex.core.pixels.mips import MipChain, build_chain
from mivex.core.project.channel_textures import PACKED
from mivex.core.project.document import Document
from mivex.core.stage.draw import Input, OrderKey, ShadingInputs, limits_of


def order_key(material: Material, at: NDArray[np.float64], eye: NDArray[np.float64]) -> OrderKey:
    """Sorting key of an object: draw group, then nudge, then from far to near by the point that counts."""
    return GROUPS.index(material.group), material.nudge, -float(np.linalg.norm(at - eye))


def texture_limits(texture: Texture, blend: str) -> Floats:
    """Limits round what a texture shows under a blend.

    Premultiplied adds colour whatever alpha says, so there colour counts too; every other blend weighs colour by alpha.
    """
    light = blend == "Premultiplied"
    values = texture.values
    return memoized_on(texture, ("limits", light), lambda: limits_of((values.max(axis=2) if light else values[..., 3]) > 0))


def file_key(path: str, meaning: str) -> str:
    """Name under which a picture that a material reads stands among the textures."""
    return f"file:{meaning}:{path}"


def picture_files_read(doc: Document) -> list[tuple[str, Literal["colour", "data"]]]:
    """Path and meaning of every picture file that the materials of shown overlays read."""
    rows: list[tuple[str, Literal["colour", "data"]]] = []
    for o in doc.overlays:
        for name, part in o.material.sources().items():
            if part.source == "file" and part.path:
                rows.append((part.path, "colour" if name in ("colour", "glow") else "data"))
    return sorted(set(rows))


def read_by(material: Material) -> list[str]:
    """Names, among the textures, of everything that a material reads besides the overlay's own."""
    rows = []
    for name, part in material.sources().items():
        if part.source == "overlay":
            rows.append(part.overlay)
        elif part.source == "file":
            rows.append(file_key(part.path, "colour" if name in ("colour", "glow") else "data"))
    return rows


class Pictures:
    """Finds what a material reads, among textures by overlay and by file."""

    def __init__(self, own: Texture, textures: Mapping[str, Texture]) -> None:
        self.own, self.textures = own, textures
        self.used: list[Texture] = [own]

    def texture(self, part: Sourced, meaning: str) -> Texture | None:
        """The texture that a part reads; None: a number, or not there (yet)."""
        if part.source == "own":
            return self.own
        found = (
            self.textures.get(part.overlay if part.source == "overlay" else file_key(part.path, meaning))
            if part.source != "number"
            else None
        )
        if found is not None:
            self.used.append(found)
        return found

    def value(self, part: Channel, name: str = "") -> Input:
        """One value of the surface; what the overlay's own channel of that name holds counts before a number."""
        own = self.own.channels.get(name)
        if own is not None and part.source == "number":
            return Input(1.0, own.mips, PACKED[name])
        t = self.texture(part, "data")
        if t is None:
            return Input(part.value)
        return Input(part.value, t.mips, list(CHANNEL_NAMES).index(part.channel), part.invert)


def _raised(texture: Texture, relief: float) -> MipChain:
    """Normals of a picture whose alpha stands out of the surface, or lies sunk in it."""
    short = float(min(texture.height, texture.width))
    return memoized_on(
        texture,
        ("raised", relief),
        lambda: build_chain(
            np.dstack(
                [normals_of(np.ascontiguousarray(texture.alpha), short, relief), np.ones(texture.alpha.shape, np.float32)]
            )
        ),
    )


Rows = tuple[tuple[float, float, float], tuple[float, float, float]]


def into_frame(rows: Rows, cell: FrameRect) -> Rows:
    """A map of UVs to a picture, brought on into a cell of it."""
    (a, b, c), (d, e, f) = rows
    x, y, w, h = cell[0], cell[1], cell[2] - cell[0], cell[3] - cell[1]
    return (a * w, b * w, c * w + x), (d * h, e * h, f * h + y)


def flowing(material: Material, time: float) -> Material:
    """A material whose flow has gone on to a time of the clock."""
    if not time or material.flow.strength <= 0:
        return material
    flow = material.flow.model_copy(update={"time": material.flow.time + time})
    return material.model_copy(update={"flow": flow})


def shading_inputs(material: Material, pictures: Pictures) -> ShadingInputs:
    """The pictures on a surface, as the material says."""
    f = material.finish
    colour = pictures.texture(f.colour, "colour") or pictures.own
    plain = f.opacity.source == "own" and f.opacity.channel == "alpha" and not f.opacity.invert and f.opacity.value == 1
    own_alpha = plain and colour is pictures.own
    normal = pictures.texture(f.normal, "data") or pictures.own.channels.get("normal")
    relief = material.on_surface.relief
    raised = _raised(pictures.own, relief) if normal is None and relief and material.group == "Decal" else None
    glow = pictures.texture(f.glow, "colour") or pictures.own.channels.get("emissive")
    # What layers give off shines by itself, as strongly as they say.
    strength = f.glow.strength or (1.0 if "emissive" in pictures.own.channels else 0.0)
    r, g, b = (float(v) * strength for v in to_linear(np.array(f.glow.colour, np.float32)))
    unmapped = material.mapping == MaterialMapping()
    return ShadingInputs(
        colour.mips,
        texture_limits(colour, material.blend) if own_alpha and unmapped else None,
        None if own_alpha else pictures.value(f.opacity),
        pictures.value(f.roughness, "roughness"),
        pictures.value(f.metal, "metal"),
        pictures.value(f.occlusion, "occlusion"),
        pictures.value(material.breakup.mask) if material.breakup.amount > 0 else None,
        normal.mips if normal else raised,
        f.normal.strength,
        f.normal.green == "up",
        (r, g, b),
        glow.mips if glow else None,
        not colour.data,
        material.mapping.uv_set,
        material.mapping.rows,
    )

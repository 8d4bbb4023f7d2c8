"""What glTF files are put together from: buffers, accessors, extensions, pictures."""

from collections.abc import Callable
from dataclasses import dataclass, field
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.types import Floats
from mivex.core.deliver.sources import Surfaces
from mivex.core.picture.encode import picture_bytes
from mivex.core.picture.texture import Texture
from mivex.core.pixels.colour import to_display, to_linear
from mivex.core.project.delivery import FilePlan
from mivex.core.project.document import Overlay

_FLOAT, _UINT = 5126, 5125


_ARRAY, _ELEMENTS = 34962, 34963


_REPEAT, _CLAMP, _LINEAR, _TRILINEAR = 10497, 33071, 9729, 9987


PictureName = Callable[[FilePlan, Texture], str]


@dataclass
class GltfBuilder:
    """Collects what a file is made of; indices are given as things are added."""

    blob: bytearray = field(default_factory=bytearray)
    views: list[dict[str, Any]] = field(default_factory=list)
    accessors: list[dict[str, Any]] = field(default_factory=list)
    images: list[dict[str, Any]] = field(default_factory=list)
    textures: list[dict[str, Any]] = field(default_factory=list)
    samplers: list[dict[str, Any]] = field(default_factory=list)
    materials: list[dict[str, Any]] = field(default_factory=list)
    meshes: list[dict[str, Any]] = field(default_factory=list)
    nodes: list[dict[str, Any]] = field(default_factory=list)
    used: set[str] = field(default_factory=set)

    def view(self, data: bytes, target: int | None = None) -> int:
        """Add bytes as a buffer view, from a multiple of four on; its index."""
        self.blob += bytes(-len(self.blob) % 4)
        row: dict[str, Any] = {"buffer": 0, "byteOffset": len(self.blob), "byteLength": len(data)}
        if target:
            row["target"] = target
        self.blob += data
        self.views.append(row)
        return len(self.views) - 1

    def floats(self, values: NDArray, *, bounds: bool = False) -> int:
        """Add float vectors (n, k) as an accessor, with least and greatest where ``bounds``; its index."""
        v = np.ascontiguousarray(values, np.float32)
        row: dict[str, Any] = {
            "bufferView": self.view(v.tobytes(), _ARRAY),
            "componentType": _FLOAT,
            "count": len(v),
            "type": f"VEC{v.shape[1]}",
        }
        if bounds:
            row |= {"min": [float(x) for x in v.min(axis=0)], "max": [float(x) for x in v.max(axis=0)]}
        self.accessors.append(row)
        return len(self.accessors) - 1

    def numbers(self, values: NDArray) -> int:
        """Add indices of corners as an accessor; its index."""
        v = np.ascontiguousarray(values.reshape(-1), np.uint32)
        self.accessors.append(
            {"bufferView": self.view(v.tobytes(), _ELEMENTS), "componentType": _UINT, "count": len(v), "type": "SCALAR"}
        )
        return len(self.accessors) - 1

    def use(self, extension: str) -> str:
        """Note that an extension is used; its name."""
        self.used.add(extension)
        return extension


def _straight(t: Texture) -> Texture:
    """A texture as glTF wants it: colour not multiplied by alpha, 8 bits."""
    values: Floats = t.values
    if t.premultiplied:
        a = values[..., 3:]
        light = values[..., :3] if t.data else to_linear(values[..., :3])
        light = np.divide(light, a, out=light.copy(), where=a > 0)
        values = np.concatenate([np.clip(light if t.data else to_display(light), 0, 1), a], axis=2)
    return Texture(values, traits=t.traits.but(premultiplied=False, coverage=0.0, weighed=False), bits=8)


class GltfPictures:
    """Pictures of an overlay's material in a file: embedded, or named beside it."""

    def __init__(self, build: GltfBuilder, surfaces: Surfaces, name: PictureName | None) -> None:
        self.build, self.surfaces, self.name = build, surfaces, name

    def add(self, o: Overlay, plan: FilePlan) -> int | None:
        """Index of the texture of a plan; None where nothing varies in it."""
        made = self.surfaces.file(o, plan, 8)
        if made is None:
            return None
        made = _straight(made)
        b = self.build
        if self.name is None:
            values = made.values if made.has_alpha else np.ascontiguousarray(made.values[..., :3])
            png = picture_bytes(".png", values, 8, data=made.data)
            b.images.append(
                {"bufferView": b.view(png), "mimeType": "image/png", "name": plan.pattern.format(name=o.name, kind=o.kind)}
            )
        else:
            b.images.append({"uri": self.name(plan, made)})
        wrap = _REPEAT if o.material.tiling else _CLAMP
        sampler = {"magFilter": _LINEAR, "minFilter": _TRILINEAR, "wrapS": wrap, "wrapT": wrap}
        if sampler not in b.samplers:
            b.samplers.append(sampler)
        b.textures.append({"source": len(b.images) - 1, "sampler": b.samplers.index(sampler)})
        return len(b.textures) - 1

"""The stage as glTF: what overlays were proved among, for whoever draws a delivery anew."""

from typing import Any

import numpy as np

from mivex.core.base.types import Floats
from mivex.core.deliver.gltf import binary, geometry, tree_of
from mivex.core.deliver.gltf_parts import GltfBuilder
from mivex.core.material.material import Material
from mivex.core.picture.encode import picture_bytes
from mivex.core.pixels.colour import to_display
from mivex.core.pixels.mips import MipChain
from mivex.core.stage.surroundings import Surroundings

_REPEAT = {"magFilter": 9729, "minFilter": 9987, "wrapS": 10497, "wrapT": 10497}
_CLAMP = _REPEAT | {"wrapS": 33071, "wrapT": 33071}


def _picture(chain: MipChain) -> Floats:
    """The first level of a chain, (h, w, 4)."""
    h, w = int(chain.heights[0]), int(chain.widths[0])
    return np.ascontiguousarray(chain.texels[: h * w].reshape(h, w, 4))


def surroundings_gltf(around: Surroundings) -> bytes:
    """Solid surroundings as one binary file: a node for each, its colour, roughness and metal, and its normals."""
    build = GltfBuilder()
    build.samplers += [_CLAMP, _REPEAT]

    def picture(name: str, values: Floats, *, data: bool, tiling: bool) -> int:
        png = picture_bytes(".png", np.ascontiguousarray(np.clip(values, 0, 1), np.float32), 8, data=data)
        build.images.append({"bufferView": build.view(png), "mimeType": "image/png", "name": name})
        build.textures.append({"source": len(build.images) - 1, "sampler": int(tiling)})
        return len(build.textures) - 1

    for s in around.solids:
        pbr: dict[str, Any] = {"roughnessFactor": 1.0, "metallicFactor": 1.0}
        colour = _picture(s.coat.colour)
        tiling = s.material.tiling
        made: dict[str, Any] = {"name": s.name, "pbrMetallicRoughness": pbr, "doubleSided": s.material.both_faces}
        if colour.shape[:2] == (1, 1):
            pbr |= {"baseColorFactor": [*(float(v) for v in colour[0, 0, :3]), 1.0], "metallicFactor": 0.0}
            pbr["roughnessFactor"] = float(s.coat.rough.value)
        else:
            image = picture(s.name, to_display(colour[..., :3]), data=False, tiling=tiling)
            pbr["baseColorTexture"] = {"index": image}
            if s.coat.normal is not None:
                surface = _picture(s.coat.normal)
                packed = np.stack([np.ones_like(surface[..., 3]), surface[..., 3], colour[..., 3]], axis=-1)
                rough = picture(f"{s.name} roughness and metal", packed, data=True, tiling=tiling)
                bumps = picture(f"{s.name} normals", surface[..., :3], data=True, tiling=tiling)
                pbr["metallicRoughnessTexture"], made["normalTexture"] = {"index": rough}, {"index": bumps}
        build.materials.append(made)
        part = geometry(build, s.mesh, Material()) | {"material": len(build.materials) - 1}
        build.meshes.append({"name": s.name, "primitives": [part]})
        build.nodes.append({"name": s.name, "mesh": len(build.meshes) - 1})
    return binary(tree_of(build, []), bytes(build.blob))

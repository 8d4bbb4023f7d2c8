"""A surface's further channels as textures."""

import numpy as np

from mivex.core.base.graph import hashed
from mivex.core.layers.heights import normals_of, occlusion_of
from mivex.core.layers.model import Relief
from mivex.core.picture.picture import quantise
from mivex.core.picture.texture import Texture
from mivex.core.prepare.base import Surface

PACKED = {"occlusion": 0, "roughness": 1, "metal": 2}
"""Where a texture's `channels` keep what takes one value: in one texture, so that one read serves all."""


def channel_textures(surface: Surface, relief: Relief, bits: int, key: str) -> dict[str, Texture]:
    """What a surface is made of besides colour and opacity, as textures; heights become normals."""
    h, w = surface.alpha.shape
    made = dict(surface.channels)
    if "height" in made:
        full, extent = surface.full_size, surface.extent
        short = min(full[0] / extent[0], full[1] / extent[1]) * min(surface.scale, 1.0)
        signed = made["height"][..., 0] * 2 - 1
        made["normal"] = normals_of(signed, short, relief.strength)
        if relief.occlusion:
            made["occlusion"] = occlusion_of(signed, short, relief.reach, relief.strength)[..., None]
    done: dict[str, Texture] = {}
    solid = np.ones((h, w, 1), np.float32)
    if packed := [n for n in PACKED if n in made]:
        parts = [made[n][..., :1] if n in made else solid for n in PACKED]
        both = Texture(
            quantise(np.clip(np.concatenate([*parts, solid], axis=2), 0, 1), bits),
            "data",
            bits=bits,
            key=hashed(key, "packed"),
        )
        done |= dict.fromkeys(packed, both)
    for name in ("normal", "emissive"):
        if name in made:
            values = np.broadcast_to(made[name], (h, w, 3))
            done[name] = Texture(
                quantise(np.clip(np.concatenate([values, solid], axis=2), 0, 1), bits),
                "colour" if name == "emissive" else "data",
                bits=bits,
                key=hashed(key, name),
            )
    return done

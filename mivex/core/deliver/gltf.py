"""glTF 2.0 of an overlay: the geometry of its placements, its material as far as glTF can say it, and what it cannot.

References
----------
Khronos, *glTF 2.0 Specification*, and its ratified extensions KHR_materials_unlit, _ior, _transmission, _volume,
_emissive_strength, _variants and KHR_texture_transform.
"""

import json
from collections.abc import Mapping, Sequence
from dataclasses import replace
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex import __version__
from mivex.core.base.messages import Message, term
from mivex.core.base.types import Doubles
from mivex.core.deliver.gltf_parts import GltfBuilder, GltfPictures, PictureName
from mivex.core.deliver.sources import Surfaces
from mivex.core.material.material import Material
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import BLENDS
from mivex.core.pixels.colour import to_linear
from mivex.core.project.delivery import COLOUR_ALPHA, STOCK
from mivex.core.project.document import Document, Overlay
from mivex.core.stage.mesh import Mesh
from mivex.core.stage.placements_model import Place


def unsaid(o: Overlay, doc: Document) -> list[str]:
    """What of an overlay glTF cannot say, each in a few words; it stands in ``extras`` and in the blend sheet."""
    m = o.material
    rows: list[str] = []
    blend = BLENDS[m.blend]
    if blend.see_through and not blend.gltf_exact:
        rows.append(Message("blend {blend} (written as BLEND)", blend=term(m.blend)))
    elif not blend.gltf_exact:
        rows.append("dots in place of blending (written as BLEND)")
    if m.nudge:
        rows.append(Message("order nudge {nudge:+d}", nudge=m.nudge))
    if m.group not in ("Blended", "Solid", "Cutout"):
        rows.append(Message("draw group {group}", group=term(m.group)))
    if m.depth_bias or m.slope_bias:
        rows.append("depth bias")
    if m.depth_write != (blend.gltf != "BLEND") or not m.depth_test:
        rows.append("its own depth test and depth write")
    if m.depth_first or m.back_first:
        rows.append("its own order of faces")
    if o.sheet.grids:
        rows.append("frames that play (the first is shown)")
    if any(p.mount == "billboard" for p in o.places):
        rows.append("panels that turn to the camera")
    rows += [
        word
        for word, there in (
            (term("erosion"), m.erosion.form != "none"),
            (term("two tones"), m.tones.on),
            (term("recolouring"), m.recolour.on),
            (term("flow"), m.flow.strength > 0),
            (term("halo"), m.halo.strength > 0),
            (term("contact fade"), m.contact.distance > 0),
            (term("break-up"), m.breakup.amount > 0),
            (term("frost"), m.glass.on and m.glass.frost > 0),
            (term("edges of glass"), m.glass.on),
            (term("refraction"), m.lit and m.glass.on and m.glass.reads),
        )
        if there
    ]
    if any(part.overlay == o.id for e in doc.effects for part in e.parts):
        rows.append("motion (see the motion file)")
    return rows


_PLANS = {f.pattern: f.model_copy(update={"always": False, "format": "png", "bits": 8}) for f in STOCK["surface"].files}
_BASE = _PLANS["{name}"].model_copy(update={"channels": dict(COLOUR_ALPHA)})


def _placed(build: GltfBuilder, m: Material, cell: Sequence[float] | None, second: bool) -> dict[str, Any]:
    """What every reference to a texture says of where it is read."""
    # Readers turn either way: turned UVs are written into the mesh, as the set that the sheet does not speak of.
    more: dict[str, Any] = {"texCoord": 1} if second != bool(m.mapping.turn) else {}
    (a, _, c), (_, e, f) = m.mapping.rows
    if m.mapping.turn:
        a, e, c, f = 1.0, 1.0, 0.0, 0.0
    if cell:
        w, h = cell[2] - cell[0], cell[3] - cell[1]
        # The first cell of a sheet: whoever knows no sheets sees one frame, not all of them.
        a, c, e, f = a * w, c * w + cell[0], e * h, f * h + cell[1]
    if (a, e, c, f) != (1.0, 1.0, 0.0, 0.0):
        more["extensions"] = {build.use("KHR_texture_transform"): {"offset": [c, f], "scale": [a, e]}}
    return more


def _material(build: GltfBuilder, o: Overlay, pictures: GltfPictures, texture: Texture, second: bool) -> int:
    m, f = o.material, o.material.finish
    cells = texture.traits.cells
    where = _placed(build, m, cells[0] if cells else None, second)
    tint = [float(v) for v in to_linear(np.array(m.tint, np.float32))]
    pbr: dict[str, Any] = {"baseColorFactor": [*tint, m.opacity if BLENDS[m.blend].uses_alpha else 1.0]}
    base = pictures.add(o, _BASE)
    if base is not None:
        pbr["baseColorTexture"] = {"index": base, **where}
    made: dict[str, Any] = {
        "name": o.name,
        "pbrMetallicRoughness": pbr,
        "alphaMode": BLENDS[m.blend].gltf,
        "doubleSided": m.both_faces,
        "extras": {"mivex": _extras(m)},
    }
    if m.blend == "Cutout":
        made["alphaCutoff"] = m.cutoff
    packed = pictures.add(o, _PLANS["{name}_orm"])
    if packed is None:
        pbr |= {"roughnessFactor": f.roughness.value, "metallicFactor": f.metal.value}
    else:
        pbr["metallicRoughnessTexture"] = {"index": packed, **where}
        made["occlusionTexture"] = {"index": packed, **where}
    normal = pictures.add(o, _PLANS["{name}_normal"])
    if normal is not None:
        made["normalTexture"] = {"index": normal, "scale": f.normal.strength, **where}
    _glow(build, o, pictures, texture, made, where)
    ext: dict[str, Any] = {}
    if not m.lit:
        ext[build.use("KHR_materials_unlit")] = {}
    elif m.glass.on:
        # No transmission: beside alpha it takes light away twice, and without alpha it tints by the surface's own colour.
        ext[build.use("KHR_materials_ior")] = {"ior": m.glass.index}
    if "extensions" in made:
        ext |= made["extensions"]
    if ext:
        made["extensions"] = ext
    build.materials.append(made)
    return len(build.materials) - 1


def _glow(
    build: GltfBuilder, o: Overlay, pictures: GltfPictures, texture: Texture, made: dict[str, Any], where: dict[str, Any]
) -> None:
    f = o.material.finish
    strength = f.glow.strength or (1.0 if "emissive" in texture.channels else 0.0)
    if strength <= 0:
        return
    rgb = to_linear(np.array(f.glow.colour, np.float32)) * np.float32(strength)
    # glTF's factor ends at 1: what is brighter goes into the strength extension.
    top = max(float(rgb.max()), 1.0)
    made["emissiveFactor"] = [min(1.0, float(v) / top) for v in rgb]
    glow = pictures.add(o, _PLANS["{name}_glow"])
    if glow is not None:
        made["emissiveTexture"] = {"index": glow, **where}
    if top > 1:
        made["extensions"] = {build.use("KHR_materials_emissive_strength"): {"emissiveStrength": top}}


def _extras(m: Material) -> dict[str, Any]:
    return {
        "blend": m.blend,
        "draw_group": m.group,
        "order_nudge": m.nudge,
        "depth_bias_metres": m.depth_bias / 1000,
        "slope_bias": m.slope_bias,
        "depth_test": m.depth_test,
        "depth_write": m.depth_write,
    }


def tangents(position: Doubles, normal: Doubles, uv: Doubles, index: NDArray[np.int64]) -> Doubles:
    """Tangents (n, 4) of corners: where the picture's right lies, and the sign of the bitangent, which points up it.

    Lengyel (2001), *Computing Tangent Space Basis Vectors for an Arbitrary Mesh*; glTF 2.0, 3.7.2.1: green is up, and UVs
    begin at the top left.
    """
    p, t = position[index], uv[index]
    # From the picture's axes by both edges of a triangle; the sign of its area tells mirrored UVs.
    e1, e2 = p[:, 1] - p[:, 0], p[:, 2] - p[:, 0]
    (u1, v1), (u2, v2) = (t[:, 1] - t[:, 0]).T, (t[:, 2] - t[:, 0]).T
    area = u1 * v2 - u2 * v1
    k = np.sign(area)[:, None]
    right, down = (e1 * v2[:, None] - e2 * v1[:, None]) * k, (e2 * u1[:, None] - e1 * u2[:, None]) * k
    sums = np.zeros((2, *position.shape))
    for corner in range(3):
        np.add.at(sums[0], index[:, corner], right)
        np.add.at(sums[1], index[:, corner], down)
    # Across the normal, as the shading normal has it: glTF asks for unit vectors at right angles.
    along = sums[0] - normal * (normal * sums[0]).sum(axis=1, keepdims=True)
    length = np.linalg.norm(along, axis=1, keepdims=True)
    # Where UVs do not turn, any direction across the normal will do.
    other = np.cross(normal, np.where(np.abs(normal[:, :1]) < 0.9, [[1.0, 0.0, 0.0]], [[0.0, 1.0, 0.0]]))
    along = np.where(length > 1e-12, along, other)
    along /= np.maximum(np.linalg.norm(along, axis=1, keepdims=True), 1e-12)
    sign = np.where((np.cross(normal, along) * -sums[1]).sum(axis=1) < 0, -1.0, 1.0)
    return np.concatenate([along, sign[:, None]], axis=1)


def geometry(build: GltfBuilder, mesh: Mesh, m: Material, bumps: int | None = None) -> dict[str, Any]:
    """Attributes and triangles of a mesh; ``bumps``: the UV set that its normal map is read by."""
    # Corners that no triangle uses would be more than is drawn.
    used, index = np.unique(mesh.index, return_inverse=True)
    normal = mesh.normal[used].astype(np.float32)
    normal /= np.maximum(np.linalg.norm(normal, axis=1, keepdims=True), 1e-12)
    uvs = [mesh.uv0[used]] + ([mesh.uv1[used]] if mesh.uv1 is not None else [])
    if m.mapping.turn:
        (a, b, c), (d, e, f) = m.mapping.rows
        own = int(bool(m.mapping.uv_set) and len(uvs) > 1)
        turned = uvs[own] @ np.array([[a, d], [b, e]]) + (c, f)
        uvs = [turned, uvs[1]] if own else [uvs[0], turned]
    attributes = {"POSITION": build.floats(mesh.position[used], bounds=True), "NORMAL": build.floats(normal)}
    attributes |= {f"TEXCOORD_{k}": build.floats(uv) for k, uv in enumerate(uvs)}
    if bumps is not None and bumps < len(uvs):
        made = tangents(mesh.position[used], normal.astype(np.float64), uvs[bumps], index.reshape(-1, 3))
        attributes["TANGENT"] = build.floats(made)
    if mesh.tint is not None:
        attributes["COLOR_0"] = build.floats(np.clip(mesh.tint[used], 0, 1))
    return {"attributes": attributes, "indices": build.numbers(index.reshape(-1, 3)), "mode": 4}


def bare_gltf(mesh: Mesh, name: str, grey: float = 0.5, rough: float = 0.6) -> bytes:
    """A mesh of plain grey as one binary file: surroundings of the artist's."""
    build = GltfBuilder()
    build.materials.append(
        {
            "name": name,
            "pbrMetallicRoughness": {
                "baseColorFactor": [grey, grey, grey, 1.0],
                "metallicFactor": 0.0,
                "roughnessFactor": rough,
            },
            "doubleSided": True,
        }
    )
    part = geometry(build, mesh, Material())
    build.meshes.append({"name": name, "primitives": [part | {"material": 0}]})
    build.nodes.append({"name": name, "mesh": 0})
    return binary(tree_of(build, []), bytes(build.blob))


def lifted(place: Place, material: Material) -> float:
    """Metres by which a placement is lifted off what it lies on: viewers that know no depth bias would not show it."""
    lies = place.mount in ("hull", "surface", "projected")
    return round(material.depth_bias / 1000, 6) if lies and material.depth_bias > 0 else 0.0


def _add(
    build: GltfBuilder,
    o: Overlay,
    doc: Document,
    texture: Texture,
    surfaces: Surfaces,
    meshes: Sequence[tuple[int, Mesh]],
    name: PictureName | None,
    lift: bool,
) -> list[str]:
    """Add an overlay, with its variants, to a file; the names of its variants where it has such."""
    pictures = GltfPictures(build, surfaces, name)
    second = bool(o.material.mapping.uv_set) and all(m.uv1 is not None for _, m in meshes)
    variants = [v for v in doc.overlays if v.variant_of == o.id and v.source.ready]
    materials = [_material(build, v, pictures, surfaces.texture_of(v), second) for v in (o, *variants)]
    read = int(second != bool(o.material.mapping.turn))
    bumps = read if any("normalTexture" in build.materials[k] for k in materials) else None
    for number, mesh in meshes:
        place = o.places[number - 1]
        off = lifted(place, o.material) if lift else 0.0
        stands = replace(mesh, position=mesh.position + mesh.normal * off) if off else mesh
        part: dict[str, Any] = geometry(build, stands, o.material, bumps) | {"material": materials[0]}
        if variants:
            part["extensions"] = {
                build.use("KHR_materials_variants"): {
                    "mappings": [{"material": k, "variants": [i]} for i, k in enumerate(materials)]
                }
            }
        build.meshes.append({"name": f"{o.name} {number}", "primitives": [part]})
        node: dict[str, Any] = {"name": f"{o.name} {number}", "mesh": len(build.meshes) - 1}
        turns = "" if place.mount != "billboard" else "upright" if place.upright else "camera"
        node["extras"] = {"mivex": {"overlay": o.name, "place": number} | ({"turns_to": turns} if turns else {})}
        if off:
            node["extras"]["mivex"]["lifted_metres"] = off
        build.nodes.append(node)
    return [o.name, *(v.name for v in variants)] if variants else []


def scene_gltf(doc: Document, surfaces: Surfaces, placed: Sequence[tuple[Overlay, Sequence[tuple[int, Mesh]]]]) -> bytes:
    """Several overlays, none of which has variants, as one binary file; see `overlay_gltf`."""
    build = GltfBuilder()
    for o, meshes in placed:
        _add(build, o, doc, surfaces.texture_of(o), surfaces, meshes, None, True)
    return binary(tree_of(build, []), bytes(build.blob))


def overlay_gltf(
    o: Overlay,
    doc: Document,
    texture: Texture,
    surfaces: Surfaces,
    meshes: Sequence[tuple[int, Mesh]],
    *,
    beside: str = "",
    name: PictureName | None = None,
    lift: bool = True,
) -> tuple[bytes, bytes]:
    """An overlay as glTF.

    Parameters
    ----------
    o : Overlay
    doc : Document
        Where its variants are found.
    texture : Texture
        Its own.
    surfaces : Surfaces
    meshes : sequence of (int, Mesh)
        Number, from 1, and mesh of each placement, in the world.
    beside : str
        File name of the binary part; empty: everything in one file.
    name : callable, optional
        Gives the file name of a picture beside it; none: pictures are embedded.
    lift : bool
        What lies in the plane of what it lies on stands off it by its depth bias.

    Returns
    -------
    (bytes, bytes)
        The file, and its binary part where that lies beside it.
    """
    build = GltfBuilder()
    names = _add(build, o, doc, texture, surfaces, meshes, name, lift)
    tree = tree_of(build, names)
    tree["asset"]["extras"] = {"mivex": {"not_said": unsaid(o, doc)}}
    if beside:
        tree["buffers"] = [{"byteLength": len(build.blob), "uri": beside}]
        return (json.dumps(tree, indent=1, ensure_ascii=False) + "\n").encode(), bytes(build.blob)
    return binary(tree, bytes(build.blob)), b""


def tree_of(build: GltfBuilder, variants: Sequence[str]) -> dict[str, Any]:
    """All that was collected, as the tree of a file."""
    tree: dict[str, Any] = {
        "asset": {"version": "2.0", "generator": Message("Mivex {version}", version=__version__)},
        "scene": 0,
        "scenes": [{"nodes": list(range(len(build.nodes)))}],
        "nodes": build.nodes,
        "meshes": build.meshes,
        "accessors": build.accessors,
        "bufferViews": build.views,
        "buffers": [{"byteLength": len(build.blob)}],
        "materials": build.materials,
    }
    tree |= {k: v for k, v in (("images", build.images), ("textures", build.textures), ("samplers", build.samplers)) if v}
    if build.used:
        tree["extensionsUsed"] = sorted(build.used)
    if variants:
        tree["extensions"] = {"KHR_materials_variants": {"variants": [{"name": n} for n in variants]}}
    return tree


def binary(tree: Mapping[str, Any], blob: bytes) -> bytes:
    """One binary file, through the library that knows its layout."""
    from pygltflib import GLTF2

    made: Any = GLTF2.from_json(json.dumps(tree))
    made.set_binary_blob(blob)
    return b"".join(made.save_to_bytes())

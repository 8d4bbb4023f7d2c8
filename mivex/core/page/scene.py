"""What a page is told of a scene: every draw in numbers, meshes, pictures with their mip levels, light."""

import base64
from collections.abc import Mapping
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from types import MappingProxyType
from typing import Any

import numpy as np
from numpy.typing import NDArray

from mivex.core.base.bands import WORKERS
from mivex.core.base.lazy import Lazy
from mivex.core.base.settings import written_out
from mivex.core.motion.births import stream_of
from mivex.core.motion.model import whole
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import BAYER
from mivex.core.pixels.colour import to_display
from mivex.core.pixels.mips import MipChain
from mivex.core.project.document import Document
from mivex.core.scene.draw_calls import Scene, build_environment, stands_at
from mivex.core.scene.playback import hulls_of, sprite_draw
from mivex.core.stage.buffers import GROUND
from mivex.core.stage.camera import Camera, View
from mivex.core.stage.draw import DrawCall, Records, refracts
from mivex.core.stage.environment import atlas, environment, reflectance_table
from mivex.core.stage.lighting import SHADOW_SIDE, casts, lamp_rows, lamp_view
from mivex.core.stage.mesh import FACTS, Mesh
from mivex.core.stage.placements_model import BillboardPlace, Place
from mivex.core.stage.surroundings import World

cv2 = Lazy("cv2")
_FRONT = View(Camera(name="front", target=(0.0, 1.0, 0.0), yaw=0.0, pitch=0.0, distance=6.0), 640, 512)
"""A view along the axes: what turns to the camera is told as it stands before this one."""


def _packed(values: NDArray[Any]) -> str:
    return base64.b64encode(np.ascontiguousarray(values).tobytes()).decode()


def _whole(values: Any) -> list[Any]:
    """Numbers of a record as JSON has them, no longer than float32 needs."""
    return [float(f"{v:.8g}") if isinstance(v, float) else v for v in np.asarray(values).reshape(-1).tolist()]


class _Pictures:
    """Numbers the pictures of a scene; each stands once, with all its levels."""

    def __init__(self) -> None:
        self._known: dict[tuple[int, bool], int] = {}
        self._held: list[tuple[MipChain, bool]] = []

    def number(self, chain: MipChain, colour: bool) -> int:
        """Which picture a chain is; ``colour``: its light is written as display values."""
        key = id(chain), colour
        if key not in self._known:
            self._known[key] = len(self._held)
            self._held.append((chain, colour))
        return self._known[key]

    def rows(self) -> list[dict[str, Any]]:
        """All of them, in their order."""
        with ThreadPoolExecutor(WORKERS) as pool:
            return list(pool.map(lambda held: self._row(*held), self._held))

    @staticmethod
    def _row(chain: MipChain, colour: bool) -> dict[str, Any]:
        sizes = [(int(w), int(h)) for w, h in zip(chain.widths, chain.heights, strict=True)]
        wide = max(sizes[0][0], sum(w for w, _ in sizes[1:]))
        sheet = np.zeros((sizes[0][1] + (sizes[1][1] if len(sizes) > 1 else 0), wide, 4), np.uint8)
        x, y, boxes = 0, 0, []
        for k, (w, h) in enumerate(sizes):
            level = chain.level(k)
            part = sheet[y : y + h, x : x + w]
            light = to_display(np.ascontiguousarray(level[..., :3])) if colour else level[..., :3]
            part[..., :3] = np.rint(np.clip(light, 0, 1) * np.float32(255))
            part[..., 3] = np.rint(np.clip(level[..., 3], 0, 1) * np.float32(255))
            boxes.append([x, y, w, h])
            x, y = (0, h) if k == 0 else (x + w, y)
        made = cv2.imencode(".png", sheet[..., [2, 1, 0, 3]], [cv2.IMWRITE_PNG_COMPRESSION, 3])[1]
        return {"png": base64.b64encode(made.tobytes()).decode(), "colour": colour, "levels": boxes}


def _corners(mesh: Mesh, which: int) -> tuple[NDArray[np.float32], NDArray[np.uint32]]:
    """Corners as `WIDE` numbers each (place, normal, UV, tint, and what a face has of its own), and triangles."""
    position, normal, uv, tint, index, facts = mesh.arrays(which)
    tint = np.broadcast_to(tint, (len(position), 4))
    own = np.zeros((len(position), facts.shape[1]))
    if len(facts) > 1:
        # What a face has of its own needs corners of its own.
        flat = index.reshape(-1)
        position, normal, uv, tint = position[flat], normal[flat], uv[flat], tint[flat]
        own, index = np.repeat(facts, 3, axis=0), np.arange(len(flat)).reshape(-1, 3)
    elif len(facts):
        own[:] = facts[0]
    rows = np.concatenate([position, normal, uv, tint, own], axis=1)
    return rows.astype(np.float32), index.astype(np.uint32)


def _pairs(points: NDArray[Any]) -> list[list[float]]:
    return [[round(float(x), 6), round(float(y), 6)] for x, y in points]


def _input(row: Any) -> tuple[list[int], list[float]]:
    return [int(row["slot"]), int(row["lane"])], _whole([float(row["gain"]), float(row["shift"])])


WIDE = 12 + len(FACTS)
"""Numbers of a corner: place, normal, UV, tint, and what its face has of its own."""
_INPUTS = ("rough", "metal", "occlusion", "opacity", "mask")
"""Values of a surface that a picture may hold, in the order of their slots; see `mivex.core.stage.draw.Records`."""


def _draw(d: DrawCall, row: Any, number: int, pictures: _Pictures) -> dict[str, Any]:
    """One draw, all but where its overlay stands."""
    mesh = d.mesh if d.transform is None else d.mesh.transformed(d.transform)
    corners, triangles = _corners(mesh, d.coat.uv_set)
    chains: list[tuple[MipChain, bool]] = [(d.coat.colour, d.coat.coded)]
    for given in (getattr(d.coat, name) for name in _INPUTS):
        if given is not None and given.chain is not None and all(given.chain is not c for c, _ in chains):
            chains.append((given.chain, False))
    for chain, colour in ((d.coat.normal, False), (d.coat.glow_chain, True)):
        if chain is not None and all(chain is not c for c, _ in chains):
            chains.append((chain, colour))
    inputs: dict[str, Any] = {}
    for name in _INPUTS:
        inputs[f"{name}From"], inputs[f"{name}By"] = _input(row[name])
    m = d.material
    return {
        "number": number,
        "name": d.name,
        "overlay": d.owner,
        "shown": True,
        "group": d.order[0],
        "nudge": d.order[1],
        "distance": m.distance,
        "stands": [0, 0, 0],
        "turns": 0,
        "upright": 0,
        "anchor": [0, 0, 0],
        "blend": int(row["blend"]),
        "test": bool(row["test"]),
        "write": bool(row["write"]),
        "both": bool(row["both"]),
        "backFirst": m.back_first and m.both_faces,
        "depthFirst": bool(row["first"]),
        "wrap": bool(row["wrap"]),
        "slope": float(row["slope"]),
        "refracts": refracts(m) and not d.before_light,
        "casts": casts(d),
        "holes": -1 if d.mask is None else pictures.number(d.mask, False),
        "uRow": _whole(row["u"]),
        "vRow": _whole(row["v"]),
        "flow": _whole(row["flow"]),
        "flowSpeed": [m.flow.right, m.flow.up],
        "flowTime": m.flow.time,
        "vectors": -1 if d.coat.vectors is None else pictures.number(d.coat.vectors[0], False),
        "textures": [pictures.number(c, colour) for c, colour in chains],
        "corners": _packed(corners),
        "triangles": _packed(triangles),
        "uniforms": inputs
        | {
            "uRow": _whole(row["u"]),
            "vRow": _whole(row["v"]),
            "blendCode": int(row["blend"]),
            "special": int(row["special"]),
            "tinted": int(row["tinted"]),
            "lit": int(row["lit"]),
            "decal": int(row["decal"]),
            "coded": int(row["coded"]),
            "tint": _whole(row["tint"]),
            "cutoff": float(row["cutoff"]),
            "bias": float(row["bias"]),
            "normalSlot": int(row["normal_slot"]),
            "normalStrength": float(row["normal_strength"]),
            "green": float(row["green"]),
            "glowSlot": int(row["glow_slot"]),
            "glowColour": _whole(row["glow"]),
            "recolour": _whole(row["recolour"]),
            "toneLane": int(row["tone_lane"]),
            "toneAt": float(row["tone_at"]),
            "toneSoft": float(row["tone_soft"]),
            "toneAbove": _whole(row["tone_above"]),
            "toneBelow": _whole(row["tone_below"]),
            "erosion": _whole(row["erosion"]),
            "flowSeed": float(row["flow_seed"]),
            "haloLane": int(row["halo_lane"]),
            "haloColour": _whole(row["halo"]),
            "contact": float(row["contact"]),
            "glass": _whole(row["glass"]),
            "edgeColour": _whole(row["edge"]),
            "breakup": _whole(row["breakup"]),
            "breakupSeed": float(row["breakup_seed"]),
            "bend": _whole(row["bend"]),
            "weights": _whole(row["weights"]),
            "vectorScale": 0.0 if d.coat.vectors is None else d.coat.vectors[1],
        },
    }


def _turning(made: dict[str, Any], place: Place) -> None:
    """What turns to the camera: its corners are told along the camera's axes, from the point that it stands at."""
    if not isinstance(place, BillboardPlace):
        return
    corners = np.frombuffer(base64.b64decode(made["corners"]), np.float32).reshape(-1, WIDE).copy()
    corners[:, :3] -= np.array(place.at, np.float32)
    made |= {"turns": 1, "upright": int(place.upright), "anchor": list(place.at), "corners": _packed(corners)}


def _light(doc: Document, draws: list[DrawCall]) -> dict[str, Any]:
    light = doc.lighting
    maps, levels = atlas(environment(light.environment))
    table = reflectance_table()
    casters = [d for d in draws if casts(d)]
    shadow = None
    if light.shadows and light.lamp > 0 and casters:
        meshes = [d.mesh if d.transform is None else d.mesh.transformed(d.transform) for d in casters]
        view, scale, (low, high_) = lamp_view(meshes, light.towards_lamp, SHADOW_SIDE)
        rows = lamp_rows(view, scale, SHADOW_SIDE)
        # Nearness is minus the way away from the lamp; a little beyond both ends, so that neither is taken for nothing.
        shadow = {
            "rows": [_whole(r) for r in rows],
            "range": [-high_ - 0.1, -low + 0.1],
            "side": SHADOW_SIDE,
            "texel": 1 / scale,
        }
    t = np.radians(light.turn)
    points = [[*p.at, p.reach, *p.colour] for d in draws if (p := d.lamp) is not None][:4]
    return {
        "sky": {"width": maps.shape[1], "height": maps.shape[0], "data": _packed(maps.astype(np.float16))},
        "levels": levels,
        "table": {"width": table.shape[1], "height": table.shape[0], "data": _packed(table.astype(np.float32))},
        "turn": [float(np.cos(t)), float(np.sin(t))],
        "ambient": light.strength,
        "lamp": light.lamp,
        "toLamp": _whole(light.towards_lamp),
        "shadow": shadow,
        "points": points,
        "gain": float(2.0**light.exposure),
        "soft": light.curve == "soft",
        "display": light.blending == "display",
    }


def effects_of(doc: Document, world: World) -> list[dict[str, Any]]:
    """Effects as their motion files tell them, with the triangles on which particles are born."""
    rows = []
    for e in doc.effects:
        if not e.shown:
            continue
        found = whole(e, doc.effects)
        born = {p.emission.mesh for p in found.parts if p.emission.form == "mesh" and p.emission.mesh in world.meshes}
        rows.append(
            {
                "file": {
                    "effect": written_out(found),
                    "wind": list(doc.air.wind),
                    "streams": {p.id: str(stream_of(p)) for p in found.parts},
                },
                "solid": any(p.life.solids != "through" for p in found.parts),
                "meshes": {k: _packed(world.meshes[k].corners.astype(np.float32)) for k in sorted(born)},
            }
        )
    return rows


def _sprites(
    doc: Document, textures: Mapping[str, Texture], effects: list[dict[str, Any]], pictures: _Pictures
) -> dict[str, Any]:
    """What particles show: for each overlay a draw without its panels, and how its frames lie and play."""
    wanted = {p["overlay"] for e in effects for p in e["file"]["effect"]["parts"]}
    made = {}
    for o in doc.overlays:
        if o.id not in wanted or o.id not in textures:
            continue
        t = textures[o.id]
        d = sprite_draw(o, t, textures)
        row = _draw(d, Records([d]).draws[0], 0, pictures)
        row |= {"shown": o.shown, "tinted": True, "corners": "", "triangles": ""}
        row["uniforms"]["tinted"] = 1
        outlines = hulls_of(o, t)
        sheet = {
            "cells": [list(c) for c in t.traits.cells] or [[0.0, 0.0, 1.0, 1.0]],
            "hulls": None if outlines is None else [_pairs(h.corners) for h in outlines],
            "play": o.sheet.play,
            "rate": o.sheet.rate,
            "blend": o.sheet.blend,
            "pivot": list(t.pivot),
            "extent": list(t.extent),
            "tinted": o.material.takes_tint,
        }
        made[o.id] = row | {"sheet": sheet}
    return made


@dataclass(frozen=True)
class Compared:
    """Two versions of an overlay that a page shows beside each other.

    Attributes
    ----------
    texture : Texture
        The one that the scene does not show.
    first : bool
        It stands at the left: what was, beside what the scene shows; otherwise what could be, at the right.
    words : (str, str)
        What the left one and the right one are.
    """

    texture: Texture
    first: bool
    words: tuple[str, str]


def page_scene(
    doc: Document,
    textures: Mapping[str, Texture],
    meshes: Mapping[str, Mesh],
    compared: Mapping[str, Compared] = MappingProxyType({}),
) -> dict[str, Any]:
    """A scene as a page draws it, as plain JSON.

    Parameters
    ----------
    doc : Document
        Overlays that are hidden come too: a page shows each alone.
    textures : mapping
        As the stage draws them.
    meshes : mapping of path to Mesh
    compared : mapping of overlay id to Compared
        Other versions that the page can show beside those of the scene.
    """
    whole = doc.model_copy(
        update={"effects": (), "overlays": tuple(o.model_copy(update={"shown": True}) for o in doc.overlays)}
    )
    draws = Scene().draws(whole, textures, _FRONT, meshes)
    records, pictures = Records(draws), _Pictures()
    world = build_environment(doc, meshes)
    by_id = {o.id: o for o in doc.overlays}
    listed = {o.id: k for k, o in enumerate(doc.overlays)}
    rows = []

    def row_of(d: DrawCall, record: Any, number: int, texture: Texture | None) -> dict[str, Any]:
        made = _draw(d, record, number, pictures)
        o = by_id.get(d.owner)
        if o is not None and texture is not None:
            place = o.places[int(d.part) - 1]
            made["stands"] = _whole(stands_at(o, place, texture, _FRONT, world))
            made["shown"] = o.shown
            _turning(made, place)
        return made

    # As they stand in the rack: that is what decides where all else is equal.
    order = sorted(range(len(draws)), key=lambda i: (listed.get(draws[i].owner, -1), int(draws[i].part or 0), i))
    for number, i in enumerate(order):
        rows.append(row_of(draws[i], records.draws[i], number, textures.get(draws[i].owner)))
    others = [d for d in Scene().draws(whole, {**textures, **{k: c.texture for k, c in compared.items()}}, _FRONT, meshes)]
    others = [d for d in others if d.owner in compared]
    told = Records(others).draws if others else ()
    versions: dict[str, Any] = {}
    for i, d in enumerate(others):
        c = compared[d.owner]
        held = versions.setdefault(d.owner, {"first": c.first, "words": list(c.words), "draws": []})
        held["draws"].append(row_of(d, told[i], len(rows) + i, c.texture))
    effects = effects_of(doc, world)
    sprites = _sprites(doc, textures, effects, pictures)
    there = {r["overlay"] for r in rows} | sprites.keys()
    solid = [m.corners.reshape(-1, 9) for m in world.surroundings.meshes] if any(e["solid"] for e in effects) else []
    return {
        "sprites": sprites,
        "effects": effects,
        "solids": _packed(np.concatenate(solid).astype(np.float32)) if solid else "",
        "cameras": [written_out(c) for c in doc.cameras],
        "overlays": [
            {"id": o.id, "name": o.name, "kind": o.kind, "blend": o.material.blend, "shown": o.shown}
            for o in doc.overlays
            if o.id in there
        ],
        "draws": rows,
        "versions": versions,
        "textures": pictures.rows(),
        # What is hidden casts no shadow on the scene, and must not coarsen the shadows of the others.
        "light": _light(doc, [d for d in draws if d.owner not in by_id or by_id[d.owner].shown]),
        "ground": [GROUND] * 3,
        "matrix": _whole(BAYER),
    }

"""The blend sheet: how an overlay's delivered pictures are drawn, as plain JSON for any renderer."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from typing import Any

import numpy as np

from mivex import __version__
from mivex.core.base.messages import Message
from mivex.core.base.settings import written_out
from mivex.core.deliver.sources import adapted
from mivex.core.material.material import Material
from mivex.core.picture.texture import Texture
from mivex.core.pixels.blends import BLENDS
from mivex.core.pixels.colour import to_linear
from mivex.core.pixels.coverage import best_cutoff
from mivex.core.pixels.mips import build_chain
from mivex.core.prepare.channels import CHANNELS, Pack
from mivex.core.prepare.keep_coverage import KeepCoverage
from mivex.core.prepare.signed_distance import SignedDistance
from mivex.core.project.delivery import FilePlan
from mivex.core.project.document import Overlay
from mivex.core.sheet.bleed import cell_texels
from mivex.core.sheet.flow import vector_picture
from mivex.core.sheet.hull import Hull
from mivex.core.stage.placements_model import MeshPlace

SHEET_VERSION = 2
EFFECTS = ("erosion", "tones", "recolour", "flow", "halo", "glass", "contact", "dither", "breakup", "on_surface")
"""Parts of a material beyond blend, surface and depth; a sheet holds those that are not as usual."""
_SINGLE = ("opacity", "roughness", "metal", "occlusion")


@dataclass(frozen=True, eq=False)
class Written:
    """One delivered picture: its plan, its name, what it holds."""

    plan: FilePlan
    file: str
    texture: Texture
    bits: int


def _rounded(values: Iterable[float]) -> list[float]:
    return [round(float(v), 6) for v in values]


def _linear(rgb: Sequence[float]) -> list[float]:
    return _rounded(to_linear(np.array(rgb, np.float32)))


def _found(rows: Sequence[Written], name: str) -> dict[str, Any] | None:
    """Which channel of which file holds a value of this overlay."""
    for w in rows:
        for lane, feed in w.plan.channels.items():
            if feed.take == name and not feed.overlay:
                return {"file": w.file, "channel": lane} | ({"invert": True} if feed.invert else {})
    return None


def _file_of(rows: Sequence[Written], name: str) -> Written | None:
    return next((w for w in rows if w.plan.fed_by(name) and not any(f.overlay for f in w.plan.channels.values())), None)


def surface_words(o: Overlay, texture: Texture, rows: Sequence[Written]) -> tuple[dict[str, Any], list[str]]:
    """Where each value of the surface is read from, and what no delivered file holds.

    Parameters
    ----------
    o : Overlay
    texture : Texture
        Its own.
    rows : sequence of Written
    """
    f, lost = o.material.finish, []
    made: dict[str, Any] = {"colour": {"file": w.file} if (w := _file_of(rows, "red")) else None}
    if made["colour"] is None:
        lost.append("colour")
    for name in _SINGLE:
        part = getattr(f, name)
        varies = part.source != "number" or name in texture.channels
        found = _found(rows, name)
        if name == "opacity" and found is None and (d := _found(rows, "distance")):
            found = d | {"distance": True}
        if found is not None and (varies or name == "opacity"):
            made[name] = found
            continue
        if name == "opacity":
            made[name] = {"value": 1.0}
            if texture.has_alpha and BLENDS[o.material.blend].uses_alpha:
                lost.append("opacity")
            continue
        made[name] = {"value": part.value}
        if varies:
            lost.append(name)
    has_normal = f.normal.source != "number" or "normal" in texture.channels
    n = _file_of(rows, "normal_x")
    made["normal"] = {"file": n.file, "green": n.plan.green, "strength": f.normal.strength} if n and has_normal else None
    if has_normal and n is None:
        lost.append("normal")
    has_glow = f.glow.source != "number" or "emissive" in texture.channels
    g = _file_of(rows, "glow_red") if has_glow else None
    strength = f.glow.strength or (1.0 if "emissive" in texture.channels else 0.0)
    made["glow"] = {"colour_linear": _linear(f.glow.colour), "strength": strength} | ({"file": g.file} if g else {})
    if has_glow and g is None:
        lost.append("glow")
    m = o.material.mapping
    made |= {"uv_set": m.uv_set, "uv_rows": [_rounded(r) for r in m.rows]}
    if o.material.breakup.amount > 0 and o.material.breakup.mask.source != "number":
        lost.append("the picture that eats into it")
    return made, lost


def effects_words(material: Material) -> dict[str, Any]:
    """Effects that are not as usual, with every value of them."""
    unusual: dict[str, Any] = material.model_dump(mode="json")
    return {k: written_out(getattr(material, k)) for k in EFFECTS if k in unusual}


def frames_words(o: Overlay, texture: Texture, outlines: list[Hull] | None) -> dict[str, Any] | None:
    """How a sheet's frames lie and are played; None of a picture without frames."""
    if not texture.traits.cells:
        return None
    boxes = [cell_texels(c, texture.width, texture.height) for c in texture.traits.cells]
    frames: list[dict[str, Any]] = [
        {"index": k, "x": a, "y": b, "width": c - a, "height": d - b} for k, (a, b, c, d) in enumerate(boxes)
    ]
    for k, hull in enumerate(outlines or ()):
        frames[k]["hull"] = [[round(float(x), 6), round(float(y), 6)] for x, y in hull.corners]
    return {"play": o.sheet.play, "rate": o.sheet.rate, "blend": o.sheet.blend, "frames": frames}


def _recipe_words(o: Overlay, texture: Texture) -> dict[str, Any]:
    """What the recipe makes that a receiver has to know: packing, signed distance, coverage held by the mip levels."""
    on = {s.step: s for s in o.steps if s.on}
    more: dict[str, Any] = {}
    if isinstance(pack := on.get("pack"), Pack):
        more["packing"] = {"name": pack.name} | {c: getattr(pack, c).name for c in CHANNELS}
    if isinstance(sdf := on.get("signed-distance"), SignedDistance):
        more["signed_distance"] = {"spread_texels": sdf.spread, "outline": 0.5}
    if isinstance(kept := on.get("keep-coverage"), KeepCoverage):
        plain = build_chain(texture.linear)
        more["mip_coverage"] = {
            "cutoff": kept.cutoff,
            "held_by_levels": texture.coverage > 0,
            "best_single_cutoff": best_cutoff(plain, kept.cutoff),
        }
    return more


def blend_sheet(
    o: Overlay,
    texture: Texture,
    rows: Sequence[Written],
    outlines: list[Hull] | None = None,
    geometry: str = "",
    space: str = "linear",
) -> dict[str, Any]:
    """An overlay's material as plain JSON; see ``docs/blend-sheet.md``.

    Parameters
    ----------
    o : Overlay
    texture : Texture
        Its own, as the stage reads it.
    rows : sequence of Written
        The delivered pictures, the first the main one.
    outlines : list of Hull, optional
        The polygon of every frame.
    geometry : str
        File name of the glTF beside it; empty: none.
    space : str
        ``linear`` or ``display``: what is blended in.
    """
    m, main = o.material, rows[0]
    b, t = BLENDS[m.blend], main.texture
    more = _recipe_words(o, texture)
    if sheet := frames_words(o, texture, outlines):
        # Between frames: where the vectors are, and the share of a cell that 0 and 1 stand for.
        if o.sheet.vectors and (moving := _file_of(rows, "vector_x")) is not None:
            sheet["vectors"] = {"file": moving.file, "scale": float(f"{vector_picture(texture, o.sheet.play).scale:.8g}")}
        more["sheet"] = sheet
    if geometry:
        more["geometry"] = geometry
    surface, lost = surface_words(o, texture, rows)
    if not geometry and any(isinstance(p, MeshPlace) for p in o.places):
        lost.append("the mesh that it stands on")
    return {
        "blend_sheet": SHEET_VERSION,
        "written_by": Message("Mivex {version}", version=__version__),
        "name": o.name,
        "kind": o.kind,
        "texture": {
            "file": main.file,
            "width": t.width,
            "height": t.height,
            "bits": main.bits,
            "holds": t.meaning,
            "encoding": "srgb" if t.meaning == "colour" else "linear",
            "alpha": "premultiplied" if t.premultiplied else "straight",
            **({"alpha_for": "display"} if adapted(o, main.plan, t.data or t.premultiplied) else {}),
            "address": "repeat" if m.tiling else "clamp",
            "pivot": _rounded(texture.pivot),
            "extent": _rounded(texture.extent),
            "levels": levels_in(main),
        },
        "files": [
            {
                "file": w.file,
                "width": w.texture.width,
                "height": w.texture.height,
                "bits": w.bits,
                "holds": w.texture.meaning,
                "levels": levels_in(w),
                "channels": {lane: w.plan.channels[lane].words for lane in w.plan.lanes},
            }
            for w in rows
        ],
        "surface": surface,
        "left_out": lost,
        "blend": {
            "name": b.name,
            "colour": {"source": b.colour_factors[0], "destination": b.colour_factors[1]},
            "alpha": {"source": b.alpha_factors[0], "destination": b.alpha_factors[1]},
            "equation": b.equation,
            "space": space,
        },
        "cutoff": m.cutoff if b.name == "Cutout" else None,
        "opacity": m.opacity,
        "tint_linear": _linear(m.tint),
        "takes_tint": m.takes_tint,
        "lit": m.lit,
        "depth": {
            "test": m.depth_test,
            "write": m.depth_write,
            "bias_metres": m.depth_bias / 1000,
            "slope_bias": m.slope_bias,
            "first": m.depth_first,
        },
        "faces": "both" if m.both_faces else "front",
        "back_faces_first": m.back_first,
        "draw_group": m.group,
        "order_nudge": m.nudge,
        "distance": m.distance,
        "effects": effects_words(m),
        "places": [
            p.model_dump(mode="json") | {"path": ""} if isinstance(p, MeshPlace) else p.model_dump(mode="json")
            for p in o.places
        ],
        **more,
    }


def levels_in(w: Written) -> int:
    """Mip levels that a delivered file holds."""
    suffix = w.file.rsplit(".", 1)[-1]
    return w.texture.mips.levels if suffix in ("ktx2", "tif", "tiff") else 1

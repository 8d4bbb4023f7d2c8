"""Delivering: the texture file and its blend sheet, written, read back and compared.

An overlay counts as delivered only once what lies on disk has been read again
and holds the same texels, bit for bit, and the same settings.
"""

import json
import re
from dataclasses import dataclass
from pathlib import Path
from typing import Any

import numpy as np

from mivex import __version__
from mivex.core.errors import MivexError
from mivex.core.image.colour import to_linear
from mivex.core.image.coverage import best_cutoff
from mivex.core.image.files import read_levels, read_picture, write_picture, write_text
from mivex.core.image.mips import build_chain
from mivex.core.image.picture import quantise
from mivex.core.image.texture import Texture
from mivex.core.material.blends import BLENDS
from mivex.core.material.material import Material
from mivex.core.prepare.base import StepParams
from mivex.core.prepare.channels import CHANNELS, Pack
from mivex.core.prepare.keep_coverage import KeepCoverage
from mivex.core.prepare.signed_distance import SignedDistance
from mivex.core.project.document import Document, Overlay
from mivex.core.project.evaluate import Workshop

SHEET_VERSION = 1
WRITABLE = {"png": (8, 16), "tga": (8,), "tga24": (8,), "tif": (8, 16), "tiff": (8, 16)}
"""Formats and their depths; all but ``tga24`` hold straight alpha."""
NO_ALPHA = ("tga24",)
_REFUSED = {
    "jpg": "JPEG has no alpha channel; choose PNG, TGA or TIFF.",
    "jpeg": "JPEG has no alpha channel; choose PNG, TGA or TIFF.",
    "webp": "WebP discards the colour under clear texels when it is written; choose PNG, TGA or TIFF.",
    "exr": "OpenEXR stores alpha associated, which loses the colour under clear texels; choose PNG, TGA or "
           "TIFF.",
    "bmp": "BMP has no dependable alpha channel; choose PNG, TGA or TIFF.",
}


@dataclass(frozen=True)
class Delivered:
    """What was written for one overlay, after it was read back and found the same."""

    overlay: str
    picture: Path
    sheet: Path


def check_format(suffix: str, bits: int, *, uses_alpha: bool = True) -> None:
    """Refuse a format that would lose alpha or depth; raises MivexError with the reason."""
    kind = suffix.lower().lstrip(".")
    if kind not in WRITABLE:
        raise MivexError(_REFUSED.get(kind, f"Mivex does not deliver “.{kind}” files; choose PNG, TGA or TIFF."))
    if kind in NO_ALPHA and uses_alpha:
        raise MivexError("A TGA of 24 bit has no alpha channel, and this blend needs one; choose PNG, TGA of 32 bit or "
                         "TIFF.")
    if bits not in WRITABLE[kind]:
        raise MivexError(f"{kind.upper().removesuffix('24')} holds 8 bits a channel, not {bits}; choose PNG or TIFF for "
                         f"{bits} bits.")


def file_name(overlay: Overlay) -> str:
    """Name of the delivered file without ending: letters, digits, ``-`` and ``_``."""
    wish = overlay.delivery.name or overlay.name
    clean = re.sub(r"[^\w-]+", "_", wish.strip(), flags=re.ASCII).strip("_")
    return clean or f"overlay_{overlay.id}"


def blend_sheet(name: str, picture: str, material: Material, texture: Texture, kind: str = "",
                steps: tuple[StepParams, ...] = ()) -> dict[str, Any]:
    """The material as plain JSON for a renderer; see ``docs/blend-sheet.md``.

    Parameters
    ----------
    name : str
        The overlay's name.
    picture : str
        File name of the texture beside the sheet.
    material : Material
    texture : Texture
    kind : str
        Kind of overlay.
    steps : tuple of StepParams
        Its recipe: packing and signed distance are told to the receiver.
    """
    b = BLENDS[material.blend]
    tint = to_linear(np.array(material.tint, np.float32))
    on = {s.step: s for s in steps if s.on}
    more: dict[str, Any] = {}
    if isinstance(pack := on.get("pack"), Pack):
        more["packing"] = {"name": pack.name} | {c: getattr(pack, c).name for c in CHANNELS}
    if isinstance(sdf := on.get("signed-distance"), SignedDistance):
        more["signed_distance"] = {"spread_texels": sdf.spread, "outline": 0.5}
    if isinstance(kept := on.get("keep-coverage"), KeepCoverage):
        plain = build_chain(texture.linear)
        more["mip_coverage"] = {"cutoff": kept.cutoff, "held_by_levels": texture.coverage > 0,
                                "best_single_cutoff": best_cutoff(plain, kept.cutoff)}
    return {
        "blend_sheet": SHEET_VERSION, "written_by": f"Mivex {__version__}", "name": name, "kind": kind,
        "texture": {"file": picture, "width": texture.width, "height": texture.height, "bits": texture.bits,
                    "holds": texture.meaning, "encoding": "srgb" if texture.meaning == "colour" else "linear",
                    "alpha": "premultiplied" if texture.premultiplied else "straight",
                    "address": "repeat" if material.tiling else "clamp",
                    "pivot": [round(v, 6) for v in texture.pivot], "extent": [round(v, 6) for v in texture.extent],
                    "levels": texture.mips.levels if texture.coverage > 0 else 1},
        "blend": {"name": b.name,
                  "colour": {"source": b.colour_factors[0], "destination": b.colour_factors[1]},
                  "alpha": {"source": b.alpha_factors[0], "destination": b.alpha_factors[1]},
                  "equation": b.equation, "space": "linear"},
        "cutoff": material.cutoff if b.name == "Cutout" else None,
        "opacity": material.opacity, "tint_linear": [round(float(v), 6) for v in tint], "lit": material.lit,
        "depth": {"test": material.depth_test, "write": material.depth_write,
                  "bias_metres": material.depth_bias / 1000},
        "faces": "both" if material.both_faces else "front",
        "draw_group": material.group, "order_nudge": material.nudge, **more,
    }


def write_texture(path: str | Path, texture: Texture, *, alpha: bool = True) -> None:
    """Write a texture and prove it: read the file again and compare every texel, and every mip level it holds.

    Parameters
    ----------
    path : str or Path
    texture : Texture
        One that keeps coverage is written with all its mip levels (TIFF only).
    alpha : bool
        False leaves the alpha channel out.

    Raises
    ------
    MivexError
        The format cannot hold it, the file cannot be written, or what came
        back differs.
    """
    path = Path(path)
    tif = path.suffix.lower() in (".tif", ".tiff")
    check_format("tga24" if not alpha and path.suffix.lower() == ".tga" else path.suffix, texture.bits,
                 uses_alpha=alpha)
    values = texture.values if alpha else np.ascontiguousarray(texture.values[..., :3])
    levels = texture.stored_levels if tif and texture.coverage > 0 else []
    write_picture(path, values, texture.bits, premultiplied=texture.premultiplied, levels=levels)
    back = read_picture(path)
    same = back.values.shape[:2] == values.shape[:2] and back.has_alpha == alpha
    if same and texture.premultiplied and tif:
        # The reader divides an associated TIFF; compare what it multiplies back to.
        again = back.values.copy()
        a = again[..., 3:]
        again[..., :3] = np.where(a > 0, again[..., :3] * a, again[..., :3])
        same = bool(np.array_equal(quantise(again, texture.bits), texture.values))
    elif same:
        same = bool(np.array_equal(back.values[..., :values.shape[2]], values))
    if same and levels:
        pages = read_levels(path)[1:]
        same = len(pages) == len(levels) and all(np.array_equal(p, v) for p, v in zip(pages, levels, strict=True))
    if not same:
        raise MivexError(f"“{path.name}” was written, but reading it back gave other texels; "
                         "it does not count as delivered.")


def deliver_overlay(overlay: Overlay, texture: Texture, folder: str | Path) -> Delivered:
    """Write one overlay's texture and blend sheet into a folder, and prove both.

    Parameters
    ----------
    overlay : Overlay
    texture : Texture
        At full size, quantised to the depth of the delivery.
    folder : str or Path
        Created if missing.

    Raises
    ------
    MivexError
        As `write_texture`, or the folder cannot be made.
    """
    folder = Path(folder)
    d = overlay.delivery
    alpha = d.format not in NO_ALPHA
    check_format(d.format, d.bits, uses_alpha=overlay.material.blend != "Solid")
    if texture.scale < 1:
        raise MivexError(f"“{overlay.name}” is still being computed at full size.")
    try:
        folder.mkdir(parents=True, exist_ok=True)
    except OSError as e:
        raise MivexError(f"The folder “{folder}” cannot be made: {(e.strerror or str(e)).lower()}.") from None
    stem = file_name(overlay)
    picture, sheet_path = folder / f"{stem}.{d.suffix}", folder / f"{stem}.blend.json"
    write_texture(picture, texture, alpha=alpha)
    sheet = blend_sheet(overlay.name, picture.name, overlay.material, texture, overlay.kind, overlay.steps)
    write_text(sheet_path, json.dumps(sheet, indent=2, ensure_ascii=False) + "\n")
    if json.loads(sheet_path.read_text(encoding="utf-8")) != sheet:
        raise MivexError(f"“{sheet_path.name}” was written, but reading it back gave something else.")
    return Delivered(overlay.name, picture, sheet_path)


def deliver_project(doc: Document, shop: Workshop, folder: str | Path) -> list[Delivered]:
    """Deliver every overlay that has a picture; two overlays may not share a file name.

    Raises
    ------
    MivexError
        Nothing is written if any overlay cannot be delivered for a reason known beforehand.
    """
    ready = [o for o in doc.overlays if o.source.ready]
    if not ready:
        raise MivexError("There is nothing to deliver: no overlay has a picture.")
    check_names(ready)
    textures = [shop.texture(o) for o in ready]
    for o in ready:
        check_format(o.delivery.format, o.delivery.bits, uses_alpha=o.material.blend != "Solid")
    return [deliver_overlay(o, t, folder) for o, t in zip(ready, textures, strict=True)]


def check_names(overlays: list[Overlay]) -> None:
    """Refuse two overlays that would be written under one name; raises MivexError."""
    seen: dict[str, str] = {}
    for o in overlays:
        name = file_name(o).lower()
        if name in seen:
            raise MivexError(f"“{seen[name]}” and “{o.name}” would both be written as “{file_name(o)}”; "
                             "give one of them another name.")
        seen[name] = o.name
